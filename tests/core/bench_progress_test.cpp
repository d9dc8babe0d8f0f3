// How far the work is: what was recorded, and what follows for the rest at a given minute.
#include "core/bench/progress.h"
#include "core/bench/recording.h"
#include "core/described/design_file.h"
#include "core/design/record_keys.h"
#include "core/drawing/bench_sheets.h"
#include "core/files/json.h"
#include "core/files/shipped.h"
#include "core/measure/units.h"
#include "core/steps/steps.h"
#include "core/steps/touched.h"
#include "core/takeaway/bench_report.h"
#include "core/takeaway/everything_done.h"
#include "core/takeaway/piece_list.h"
#include "core/takeaway/take_away.h"
#include "core/wing/model_balance.h"
#include "surface_designs.h"
#include <algorithm>
#include <fmt/format.h>
#include <set>

namespace eup {
namespace {

using test::bareDesign;
using test::wingOf;

TEST(Dates, AreReadAndCounted) {
  EXPECT_EQ(dateFromText("2028-02-29"), (Date{2028, 2, 29}));
  for (const char* no : {"2026-02-29", "2026-13-01", "0000-01-01", "26-01-01", "2026-1-1", "", "2026-01-0a", "today"})
    EXPECT_FALSE(dateFromText(no)) << no;
  EXPECT_EQ(weekdayOf({2026, 11, 29}), 6); // a Sunday
  const auto evening = momentFromText("2026-12-31 23:50");
  ASSERT_TRUE(evening);
  EXPECT_EQ(textOf(after(*evening, 15)), "2027-01-01 00:05");
  EXPECT_EQ(textOf(after(*evening, -24 * 60)), "2026-12-30 23:50");
  EXPECT_NEAR(minutesBetween(*evening, after(*evening, 3000)), 3000, 1e-9);
  EXPECT_NEAR(minutesBetween(after(*evening, 3000), *evening), -3000, 1e-9);
  for (const char* no : {"2026-12-31 24:00", "2026-12-31 23:60", "2026-12-31T23:50", "2026-12-31", "2026-12-31 3:50 "})
    EXPECT_FALSE(momentFromText(no)) << no;
}

std::vector<Step> twoSteps() {
  Step glue;
  glue.key = "glue", glue.what = "Glue", glue.on = "it", glue.minutes = 30, glue.cureHours = 2, glue.look = "square";
  Step plane;
  plane.key = "plane", plane.what = "Plane", plane.on = "it", plane.minutes = 20, plane.needs = {"glue"};
  return {glue, plane};
}

BenchPlan always() {
  BenchPlan plan;
  plan.weekday = plan.weekend = 1440, plan.hour = 0;
  return plan;
}

Moment at(const char* text) {
  return *momentFromText(text);
}

TEST(BenchNow, TheRestMovesWithWhatWasDone) {
  const auto steps = twoSteps();
  const BenchPlan plan = always();
  const auto fresh = benchNow(steps, plan, {}, at("2026-11-30 10:00"));
  ASSERT_TRUE(fresh);
  EXPECT_EQ(fresh->steps[0].state, StepState::ready);
  EXPECT_EQ(fresh->steps[1].state, StepState::waits);
  EXPECT_EQ(textOf(fresh->at(fresh->schedule.end)), "2026-11-30 12:50");
  // Begun ten minutes ago: twenty are left of it.
  std::vector<StepRecord> records{{"glue", "2026-11-30 09:50", {}, 0, false, {}}};
  const auto begun = benchNow(steps, plan, records, at("2026-11-30 10:00"));
  EXPECT_EQ(begun->steps[0].state, StepState::begun);
  EXPECT_EQ(textOf(begun->at(begun->schedule.end)), "2026-11-30 12:40");
  // Done later than it might have been: it cures from then, and the plane waits for it.
  records[0].done = "2026-11-30 11:15";
  const auto cures = benchNow(steps, plan, records, at("2026-11-30 12:00"));
  EXPECT_EQ(cures->steps[0].state, StepState::cures);
  EXPECT_NEAR(cures->steps[0].cureLeft, 75, 1e-9);
  EXPECT_EQ(cures->steps[1].state, StepState::waits);
  EXPECT_EQ(textOf(cures->at(cures->schedule.placed[1].from)), "2026-11-30 13:15");
  EXPECT_TRUE(canDoNow(steps, *cures, 45).empty());
  const auto cured = benchNow(steps, plan, records, at("2026-11-30 13:15"));
  EXPECT_EQ(cured->steps[0].state, StepState::done);
  EXPECT_EQ(canDoNow(steps, *cured, 45), std::vector<std::size_t>{1});
}

// A clock that was set back: what was done stays done, its cure is never longer than it is, and it is told.
TEST(BenchNow, ClockSetBack) {
  const auto steps = twoSteps();
  const std::vector<StepRecord> records{{"glue", "2026-11-30 11:00", "2026-11-30 11:15", 0, false, {}},
                                        {"gone", "yesterday", "2026-99-99 11:15", 3, true, {}}};
  const auto now = benchNow(steps, always(), records, at("2026-11-29 08:00"));
  ASSERT_TRUE(now);
  EXPECT_TRUE(now->steps[0].ofTheFuture);
  EXPECT_EQ(now->steps[0].state, StepState::cures);
  EXPECT_LE(now->steps[0].cureLeft, 120);
  EXPECT_GE(now->schedule.end, now->now);
  // A time that is none counts as now.
  const std::vector<StepRecord> garbled{{"glue", "x", "not a time", 0, false, {}}};
  const auto then = benchNow(steps, always(), garbled, at("2026-11-29 08:00"));
  EXPECT_NEAR(then->steps[0].cureLeft, 120, 1e-9);
}

TEST(BenchNow, FirstDayHoldsUntilItComes) {
  BenchPlan plan = always();
  plan.first = "2026-12-10", plan.hour = 18;
  const auto early = benchNow(twoSteps(), plan, {}, at("2026-11-29 08:00"));
  EXPECT_EQ(textOf(early->at(early->schedule.placed[0].from)), "2026-12-10 18:00");
  const auto late = benchNow(twoSteps(), plan, {}, at("2026-12-12 19:30"));
  EXPECT_EQ(textOf(late->at(late->schedule.placed[0].from)), "2026-12-12 19:30");
  plan.weekday = plan.weekend = 0;
  EXPECT_FALSE(benchNow(twoSteps(), plan, {}, at("2026-11-29 08:00")));
}

TEST(BenchNow, AfterHoursItIsTomorrow) {
  BenchPlan plan;
  plan.weekday = 120, plan.weekend = 0, plan.hour = 18;
  const auto now = benchNow(twoSteps(), plan, {}, at("2026-11-27 21:00")); // a Friday, after the two hours
  EXPECT_EQ(textOf(now->at(now->schedule.placed[0].from)), "2026-11-30 18:00");
}

// What the stopwatch taught: of that kind its own, of others the mean once three were timed.
TEST(BenchNow, Learns) {
  std::vector<Step> steps;
  for (const char* key :
       {"1.1.right.ribsOn", "1.1.left.ribsOn", "1.1.right.webs", "1.1.right.cover", "1.1.right.run12"}) {
    Step s;
    s.key = key, s.minutes = 20;
    steps.push_back(s);
  }
  std::vector<StepRecord> records{{"1.1.right.ribsOn", {}, {}, 30, false, {}}};
  auto learnt = learntFactors(steps, records);
  EXPECT_NEAR(learnt.at("ribsOn"), 1.5, 1e-12);
  EXPECT_FALSE(learnt.contains(""));
  records.push_back({"1.1.left.ribsOn", {}, {}, 50, false, {}});
  records.push_back({"1.1.right.webs", {}, {}, 10, false, {}});
  learnt = learntFactors(steps, records);
  EXPECT_NEAR(learnt.at("ribsOn"), 2, 1e-12);
  EXPECT_NEAR(learnt.at(""), 90 / 60.0, 1e-12);
  EXPECT_EQ(kindOfStep("1.1.right.run12"), "run");
  EXPECT_EQ(kindOfStep("balance"), "balance");
}

TEST(BenchOrder, OwnStepsWishesAndLeavingOut) {
  Design d = bareDesign();
  const auto plain = stepsOf(wingOf(d));
  const auto at_ = [](const std::vector<Step>& steps, const std::string& key) {
    return std::find_if(steps.begin(), steps.end(), [&](const Step& s) { return s.key == key; });
  };
  ASSERT_NE(at_(plain, "1.1.right.off"), plain.end());
  // Left out, what it needed is handed on.
  d.bench.leftOut = {{"1.1.right.off"}, {"no such step"}};
  const auto without = stepsOf(wingOf(d));
  EXPECT_EQ(without.size(), plain.size() - 1);
  const auto after_ = at_(without, "1.1.right.sand");
  ASSERT_NE(after_, without.end());
  for (const Step& s : without)
    for (const std::string& need : s.needs) EXPECT_NE(at_(without, need), without.end()) << s.key << ' ' << need;
  // An own one between two; a wish that goes in a circle is none.
  d.bench.leftOut.clear();
  OwnStep photo;
  photo.name = "Photograph the frame", photo.after = "1.1.right.off", photo.before = "1.1.right.sand",
  photo.minutes = 5;
  d.bench.own = {photo};
  d.bench.needs = {{"1.1.left.cutRibs", "1.1.right.off"}, {"1.1.right.cutRibs", "1.1.right.off"}};
  const auto steps = stepsOf(wingOf(d));
  EXPECT_EQ(steps.size(), plain.size() + 1);
  const auto own = at_(steps, "own.1");
  ASSERT_NE(own, steps.end());
  EXPECT_EQ(own->needs, std::vector<std::string>{"1.1.right.off"});
  const auto needs = [&](const char* key, const char* need) {
    const auto& all = at_(steps, key)->needs;
    return std::find(all.begin(), all.end(), need) != all.end();
  };
  EXPECT_TRUE(needs("1.1.right.sand", "own.1"));
  EXPECT_TRUE(needs("1.1.left.cutRibs", "1.1.right.off"));
  EXPECT_FALSE(needs("1.1.right.cutRibs", "1.1.right.off")); // a circle
  EXPECT_FALSE(circleIn(activitiesOf(steps)));
}

// What is recorded of an own step stays its own when another one goes; a new one gets no ticks of one that went.
TEST(BenchOrder, OwnStepsKeepTheirRecords) {
  Design d = bareDesign();
  const auto there = [](const std::vector<Step>& all, const char* key) {
    return std::any_of(all.begin(), all.end(), [&](const Step& s) { return s.key == key; });
  };
  d.bench.own.resize(2);
  d.bench.own[0].number = 1, d.bench.own[1].number = 2;
  d.records.steps = {{"own.2", "", "2026-12-01 19:00", 5, false, ""}};
  d.bench.own.erase(d.bench.own.begin());
  const auto steps = stepsOf(wingOf(d));
  EXPECT_FALSE(there(steps, "own.1"));
  EXPECT_TRUE(there(steps, "own.2"));
  EXPECT_EQ(freeOwnNumber(d.bench, d.records), 1);
  d.bench.own.clear();
  d.records.steps.push_back({"own.1", "2026-12-01 18:00", "", 0, false, ""});
  EXPECT_EQ(freeOwnNumber(d.bench, d.records), 3) << "both were of steps that are gone";
  d.bench.own.resize(3); // a file that gives a number three times
  std::set<std::string> keys;
  for (const Step& s : stepsOf(wingOf(d))) EXPECT_TRUE(keys.insert(s.key).second) << s.key;
  EXPECT_EQ(kindOfStep("own.12"), "own");
}

// One for either hand, each after its own hand's step; of what both have in common there is one.
TEST(BenchOrder, OwnStepsForEitherHand) {
  Design d = bareDesign();
  OwnStep own;
  own.number = 7, own.eachHand = true, own.after = "1.1.left.off", own.before = "1.1.left.sand";
  d.bench.own = {own};
  const auto steps = stepsOf(wingOf(d));
  const auto find = [&](const std::string& key) -> const Step& {
    for (const Step& s : steps)
      if (s.key == key) return s;
    ADD_FAILURE() << key;
    return steps.front();
  };
  EXPECT_EQ(find("own.7").hand, Hand::left);
  EXPECT_EQ(find("own.7.other").hand, Hand::right);
  EXPECT_EQ(find("own.7.other").needs, std::vector<std::string>{"1.1.right.off"});
  const auto& sand = find("1.1.right.sand").needs;
  EXPECT_NE(std::find(sand.begin(), sand.end(), "own.7.other"), sand.end());
  d.bench.own[0].after = "1.centre";
  for (const Step& s : stepsOf(wingOf(d))) EXPECT_NE(s.key, "own.7.other");
  EXPECT_EQ(otherHandsKey("1.2.right.run3"), "1.2.left.run3");
  EXPECT_EQ(otherHandsKey("balance"), "balance");
}

// Covered flat, before it is joined: the school of the lightest wings.
TEST(BenchOrder, SchoolsDiffer) {
  Design d = bareDesign();
  d.inner().stiffening.covering = "film";
  const auto place = [](const std::vector<Step>& steps, const std::string& key) {
    return std::find_if(steps.begin(), steps.end(), [&](const Step& s) { return s.key == key; });
  };
  auto steps = stepsOf(wingOf(d));
  const auto needs = [&](const std::string& key) {
    std::vector<std::string> out;
    for (const std::string& need : place(steps, key)->needs) out.push_back(need);
    return out;
  };
  EXPECT_EQ(needs("1.centre"), (std::vector<std::string>{"1.1.right.off", "1.1.left.off"}));
  d.bench.cover = CoverWhen::flat;
  steps = stepsOf(wingOf(d));
  EXPECT_EQ(needs("1.centre"), (std::vector<std::string>{"1.1.right.cover", "1.1.left.cover"}));
  d.inner().join.propping = Propping::oneFlat;
  steps = stepsOf(wingOf(d));
  EXPECT_NE(place(steps, "1.centre")->what.find("one flat"), std::string::npos);
}

// Gates are open until somebody has looked, of everything that stands before a step.
TEST(BenchOrder, GatesStayOpenUntilLookedAt) {
  const TrueWing w = wingOf(bareDesign());
  const auto steps = stepsOf(w);
  const auto all = openGates(steps, {}, "1.centre");
  ASSERT_GT(all.size(), 3U);
  std::vector<StepRecord> records;
  for (const std::size_t i : all) {
    EXPECT_FALSE(steps[i].look.empty());
    records.push_back({steps[i].key, {}, {}, 0, true, "the neighbour"});
  }
  EXPECT_TRUE(openGates(steps, records, "1.centre").empty());
  EXPECT_TRUE(openGates(steps, {}, "no such step").empty());
}

// A decision that changes under a half-done build tells what of it lies on the bench already.
TEST(BenchOrder, SaysWhatAChangeTouches) {
  Design d = test::withAileron();
  d.records.steps = {{"1.1.right.cutRibs", {}, "2026-11-20 19:00", 0, false, {}},
                     {"1.1.right.lower", "2026-11-20 20:00", {}, 0, false, {}},
                     {"1.1.left.edges", {}, "2026-11-21 19:00", 0, false, {}}};
  const TrueWing before = wingOf(d);
  const auto touched = [&](auto change) {
    Design next = d;
    change(next);
    const TrueWing now = wingOf(next);
    const auto steps = stepsOf(now);
    std::vector<std::string> out;
    for (const std::size_t i : touchedSteps(before, now, steps, next.records.steps)) out.push_back(steps[i].key);
    return out;
  };
  EXPECT_TRUE(touched([](Design&) {}).empty());
  EXPECT_TRUE(touched([](Design& n) {
                n.inner().capStrips.thickness += 0;
                n.flying.mass += 50;
              }).empty());
  EXPECT_EQ(touched([](Design& n) { n.inner().trailingEdge.width += 3; }),
            (std::vector<std::string>{"1.1.right.cutRibs", "1.1.left.edges"}));
  EXPECT_EQ(touched([](Design& n) { n.inner().spars[0].bottom.width += 1; }),
            (std::vector<std::string>{"1.1.right.cutRibs", "1.1.right.lower"}));
}

// Resin by weight and by volume: by hand. 20 dm² of 50 g/m² is 10 g of cloth; as much resin; 15 % over.
TEST(Mixing, ByHand) {
  MixtureAsked asked;
  asked.area = 20e4, asked.arealWeight = 50, asked.resinShare = 1, asked.waste = 0.15, asked.ratio = 2;
  Mixture m = mixtureFor(asked);
  EXPECT_NEAR(m.grams, 11.5, 1e-9);
  EXPECT_NEAR(m.resin, 11.5 * 2 / 3, 1e-9);
  EXPECT_NEAR(m.hardener, 11.5 / 3, 1e-9);
  EXPECT_EQ(m.batches, 1);
  asked.ratio = 5, asked.byVolume = true, asked.resinDensity = 1.2, asked.hardenerDensity = 0.96; // 6.25 by weight
  m = mixtureFor(asked);
  EXPECT_NEAR(m.resin / m.hardener, 6.25, 1e-9);
  const StillToPour empty = stillToPour(m, 0), some = stillToPour(m, m.resin + 0.2), full = stillToPour(m, m.grams);
  EXPECT_NEAR(empty.resin, m.resin, 1e-9);
  EXPECT_NEAR(empty.hardener, m.hardener, 1e-9);
  EXPECT_EQ(some.resin, 0);
  EXPECT_NEAR(some.hardener, m.hardener - 0.2, 1e-9);
  EXPECT_EQ(full.resin + full.hardener, 0);
  asked.area *= 10;
  EXPECT_EQ(mixtureFor(asked).batches, 4); // 115 g in batches of thirty
}

Design withRecords() {
  Design d = test::withAileron();
  d.records.steps = {{"1.1.right.cutRibs", "2026-11-20 18:00", "2026-11-20 19:00", 60, true, "the neighbour"}};
  for (const int rib : {1, 4, 8, 12, 15})
    d.records.readings.push_back({ReadKind::incidence, 0, 0, Hand::right, rib, -0.1 * rib, 0.1 + 0.01 * rib, "gauge",
                                  "2026-11-21 19:00", "by lamp <light>"});
  d.records.readings.push_back({ReadKind::mass, 0, 0, Hand::left, 0, 71.5, 0, "scales", "2026-11-21 20:00", {}});
  d.records.readings.push_back({ReadKind::mass, 0, 0, Hand::left, 0, 71.7, 0, "scales", "2026-11-21 20:01", {}});
  d.records.log = {{"2026-11-20 19:00", LogKind::done, "Done: Cut the ribs", "1.1.right.cutRibs", {}},
                   {"2026-11-21 19:00", LogKind::note, "R7 & R8 \"swapped\", <mended>", {}, {}},
                   {"2026-11-21 19:30", LogKind::picture, "the frame", {}, "wing-pictures/frame.jpg"}};
  d.records.parts = {{"wings.0.panels.0.rib.3", Hand::right, true, true, false, 0}};
  return d;
}

// What is written down: times, the stopwatch, looks, and a line in the log for each.
TEST(Recording, StepsWithTheirTimes) {
  Records r;
  const Step glue = twoSteps()[0]; // half an hour
  EXPECT_FALSE(isBegun(r));
  beginStep(r, glue, at("2026-11-30 18:00"));
  beginStep(r, glue, at("2026-11-30 18:10")); // it runs already
  EXPECT_TRUE(isBegun(r));
  EXPECT_EQ(r.steps[0].begun, "2026-11-30 18:00");
  finishStep(r, glue, at("2026-11-30 18:40"));
  finishStep(r, glue, at("2026-11-30 19:40"));
  EXPECT_EQ(r.steps[0].done, "2026-11-30 18:40");
  EXPECT_EQ(r.steps[0].minutes, 40);
  lookAtStep(r, glue, "the neighbour", at("2026-11-30 18:45"));
  EXPECT_TRUE(r.steps[0].looked);
  ASSERT_EQ(r.log.size(), 3U);
  EXPECT_EQ(r.log[1].text, "Done: Glue (it), 40 minutes");
  EXPECT_EQ(r.log[2].text, "Looked at by the neighbour: Glue (it)");
  takeStepBack(r, glue.key, namedStep(glue), at("2026-11-30 18:50"));
  EXPECT_TRUE(r.steps.empty());
  takeStepBack(r, glue.key, namedStep(glue), at("2026-11-30 18:50")); // nothing is there
  EXPECT_EQ(r.log.size(), 4U);
  // Left overnight, or by a clock that was set back, a stopwatch tells nothing.
  for (const char* done : {"2026-12-01 18:00", "2026-11-30 17:00"}) {
    Records other;
    beginStep(other, glue, at("2026-11-30 18:00"));
    finishStep(other, glue, at(done));
    EXPECT_EQ(other.steps[0].minutes, 0) << done;
    EXPECT_EQ(other.log.back().text.find("by the clock it was begun later") != std::string::npos,
              std::string(done) < "2026-11-30 18:00");
  }
}

TEST(Recording, ALogThatIsFullTakesNoMore) {
  Records r;
  r.log.resize(mostLogEntries);
  EXPECT_FALSE(addToLog(r, at("2026-11-30 18:00"), LogKind::note, "one more"));
  beginStep(r, twoSteps()[0], at("2026-11-30 18:00"));
  EXPECT_EQ(r.steps.size(), 1U);
  EXPECT_EQ(r.log.size(), static_cast<std::size_t>(mostLogEntries));
}

TEST(Recording, PartsRightAndLeft) {
  Records r;
  tickPart(r, "rib.3", Hand::left, &PartTick::fitted, true);
  EXPECT_TRUE(r.parts[0].counted && r.parts[0].cut && r.parts[0].fitted);
  EXPECT_EQ(tickOf(r.parts, "rib.3", Hand::right), nullptr);
  tickPart(r, "rib.4", Hand::right, &PartTick::cut, true);
  EXPECT_TRUE(tickOf(r.parts, "rib.4", Hand::right)->counted);
  EXPECT_FALSE(tickOf(r.parts, "rib.4", Hand::right)->fitted);
  setMissing(r, "rib.5", Hand::right, 2);
  EXPECT_EQ(tickOf(r.parts, "rib.5", Hand::right)->missing, 2);
  setMissing(r, "rib.5", Hand::right, 0); // says nothing any more
  EXPECT_EQ(r.parts.size(), 2U);
}

TEST(Recording, ProgressOfAPanel) {
  const TrueWing w = wingOf(bareDesign());
  const auto steps = stepsOf(w);
  const auto fresh = progressOf(steps, {}, 0, 0, Hand::right);
  EXPECT_EQ(fresh.all, 5) << "plan, ribs cut, ribs glued, off the board, sanded: it has neither spars nor edges";
  EXPECT_EQ(fresh.done, 0);
  ASSERT_NE(fresh.next, nullptr);
  const std::vector<StepRecord> records{{fresh.next->key, {}, "2026-11-30 18:40", 0, false, {}}};
  const auto one = progressOf(steps, records, 0, 0, Hand::right);
  EXPECT_EQ(one.done, 1);
  EXPECT_NE(one.next, fresh.next);
  EXPECT_EQ(progressOf(steps, records, 0, 0, Hand::left).done, 0);
  EXPECT_EQ(progressOf(steps, {}, 0, 7, Hand::left).all, 0);
}

// Kind by kind what is open; a kind that is all done is not told.
TEST(Recording, EverythingDone) {
  Design d = bareDesign();
  const auto headings = [&] {
    const TrueWing w = wingOf(d);
    std::vector<std::string> out;
    for (const OpenThings& one : openThings(w, stepsOf(w))) out.push_back(one.heading);
    return out;
  };
  const auto has = [&](const char* heading) {
    const auto all = headings();
    return std::find(all.begin(), all.end(), heading) != all.end();
  };
  EXPECT_FALSE(has("Gates that nobody looked at")); // nothing is done yet
  for (const char* other : {"Steps before covering that are not done", "Never read", "Pieces not ticked as fitted"})
    EXPECT_TRUE(has(other)) << other;
  const TrueWing plain = wingOf(d);
  for (const Step& s : stepsOf(plain)) d.records.steps.push_back({s.key, {}, "2026-11-30 18:40", 0, false, {}});
  EXPECT_TRUE(has("Gates that nobody looked at"));
  EXPECT_FALSE(has("Steps before covering that are not done"));
  for (StepRecord& s : d.records.steps) s.looked = true;
  EXPECT_FALSE(has("Gates that nobody looked at"));
  for (const Hand hand : {Hand::right, Hand::left})
    for (const Rib& rib : plain.inner().frame.ribs)
      d.records.readings.push_back(
          {ReadKind::incidence, 0, 0, hand, rib.number, -radToDeg(rib.frame.washout), 0, {}, {}, {}});
  EXPECT_FALSE(has("Never read"));
  for (const PieceLine& l : pieceList(plain))
    for (const Hand hand : {Hand::right, Hand::left})
      tickPart(d.records, pieceKey(l.panel->design.lasting(), l.part->id), hand, &PartTick::fitted, true);
  EXPECT_FALSE(has("Pieces not ticked as fitted"));
}

TEST(BenchReport, LogAsTableJsonAndPage) {
  const TrueWing w = wingOf(withRecords());
  EXPECT_EQ(logTable(w.design.records).rows.size(), 3U);
  EXPECT_EQ(logTable(w.design.records, "SWAPPED").rows.size(), 1U);
  EXPECT_EQ(logTable(w.design.records, "picture").rows.size(), 1U);
  EXPECT_NE(toCsv(logTable(w.design.records)).find("\"R7 & R8 \"\"swapped\"\", <mended>\""), std::string::npos);
  const auto json = test::jsonOf(logJson(w));
  EXPECT_EQ(json["log"].size(), 3U);
  EXPECT_EQ(json["readings"].size(), 7U);
  EXPECT_EQ(json["twists"].size(), 1U);
  EXPECT_NEAR(json["means"][0]["mean"].get<double>(), 71.6, 1e-9);
  const std::string page = logHtml(w);
  EXPECT_NE(page.find("R7 &amp; R8 \"swapped\", &lt;mended&gt;"), std::string::npos);
  EXPECT_EQ(page.find("<mended>"), std::string::npos);
  EXPECT_EQ(page.find("<light>"), std::string::npos);
  EXPECT_NE(page.find("Washout as built"), std::string::npos);
  EXPECT_EQ(page.find("http"), std::string::npos); // nothing from outside
  EXPECT_TRUE(logDocument(w).ok());
}

// The work sheet lists every step of that hand once, in an order that can be worked, and ticks what is done.
TEST(BenchReport, WorkSheetAndLabels) {
  const TrueWing w = wingOf(withRecords());
  const auto steps = stepsOf(w);
  const auto sheet = workSheet(w.design.name, Hand::right, steps, w.design.records, LengthUnit::mm);
  const auto mine =
      std::count_if(steps.begin(), steps.end(), [](const Step& s) { return !s.hand || s.hand == Hand::right; });
  ASSERT_EQ(static_cast<long>(sheet.size()), mine + 1);
  std::size_t ticked = 0;
  for (const Drawing& d : sheet)
    ticked += static_cast<std::size_t>(std::count_if(
        d.strokes.begin(), d.strokes.end(), [](const Stroke& s) { return !s.closed && s.points.size() == 2; }));
  EXPECT_EQ(ticked, 4U); // two crosses of two lines: done, and looked at
  const auto labels = pieceLabels(test::drawn(w), Hand::left);
  EXPECT_EQ(labels.size(), w.inner().parts.size());
  for (const Drawing& d : labels) {
    const Box box = d.bounds();
    EXPECT_LT(box.width(), 90);
    EXPECT_LT(box.height(), 20);
  }
}

} // namespace
} // namespace eup
