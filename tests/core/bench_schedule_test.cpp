// The order of work and the clock: every schedule keeps its needs, its hands and its cures; how long it takes, against
// trying all orders and against the longest path (Kelley and Walker, 1959).
#include "chance.h"
#include "cli/commands.h"
#include "core/bench/progress.h"
#include "core/bench/schedule.h"
#include "core/described/design_file.h"
#include "core/design/tables.h"
#include "core/exchange/calendar_file.h"
#include "core/files/shipped.h"
#include "core/steps/steps.h"
#include "support.h"
#include <numeric>
#include <set>

namespace eup {
namespace {

using test::wingOf;

std::vector<Activity> randomWork(test::Chance& chance, int count) {
  std::vector<Activity> out;
  for (int i = 0; i < count; ++i) {
    Activity a;
    a.hands = chance.once(8) ? 0 : std::round(chance.between(5, 90));
    a.cure = chance.once(2) ? std::round(chance.between(10, 800)) : 0;
    a.attended = chance.once(9);
    if (a.attended) a.cure = std::min(a.cure, 60.0);
    for (int k = 0; k < i; ++k)
      if (chance.once(4)) a.needs.push_back(k);
    out.push_back(a);
  }
  return out;
}

BenchHours randomHours(test::Chance& chance) {
  BenchHours out;
  for (double& m : out.minutes) m = chance.once(4) ? 0 : std::round(chance.between(60, 600));
  out.minutes[static_cast<std::size_t>(chance.number(7))] = 240;
  out.firstWeekday = chance.number(7), out.hands = 1 + chance.number(2);
  return out;
}

// The clock at the bench, told minute by minute.
TEST(BenchHours, AreCountedDayByDay) {
  BenchHours b;
  b.minutes = {60, 0, 90, 0, 0, 30, 120}, b.firstWeekday = 5;
  double sum = 0;
  for (int minute = 0; minute < 3 * 7 * 1440; ++minute) {
    const int day = minute / 1440;
    if (minute % 7 == 0) {
      EXPECT_NEAR(b.worked(minute), sum, 1e-9) << minute;
    }
    const bool open = minute % 1440 < b.minutes[static_cast<std::size_t>((5 + day) % 7)];
    sum += open ? 1 : 0;
    if (open) {
      EXPECT_NEAR(b.worked(b.after(sum)), sum, 1e-9);
    }
    if (open) {
      EXPECT_LE(b.after(sum), minute + 1 + 1e-9);
    }
  }
  BenchHours never;
  never.minutes.fill(0);
  EXPECT_FALSE(never.any());
}

TEST(BenchSchedule, KeepsNeedsHandsAndCures) {
  test::Chance chance(21);
  for (int tries = 0; tries < 150; ++tries) {
    const auto all = randomWork(chance, 2 + chance.number(25));
    const BenchHours bench = randomHours(chance);
    const auto made = schedule(all, bench);
    ASSERT_TRUE(made);
    EXPECT_GE(made->end, made->bound - 1e-6);
    std::vector<std::pair<double, int>> comes; // hands taken and given back, in minutes at the bench
    for (std::size_t i = 0; i < all.size(); ++i) {
      const Placed& p = made->placed[i];
      for (const int need : all[i].needs) EXPECT_GE(p.from, made->placed[static_cast<std::size_t>(need)].ready - 1e-6);
      const double end = all[i].attended ? p.ready : p.to;
      if (all[i].hands > 0 || all[i].attended) {
        EXPECT_NEAR(bench.worked(p.to) - bench.worked(p.from), all[i].hands, 1e-6);
        comes.emplace_back(bench.worked(p.from) + 1e-7, 1), comes.emplace_back(bench.worked(end) - 1e-7, -1);
      }
      if (!all[i].attended) {
        EXPECT_NEAR(p.ready - p.to, all[i].cure, 1e-6);
      }
      if (all[i].attended && all[i].hands + all[i].cure > 1 &&
          all[i].hands + all[i].cure <= *std::min_element(bench.minutes.begin(), bench.minutes.end())) {
        EXPECT_EQ(std::floor(p.from / 1440 + 1e-9), std::floor((p.ready - 1e-6) / 1440)) << "left alone overnight";
      }
      EXPECT_GE(p.slack, 0);
      EXPECT_LE(p.ready + p.slack, made->end + 1e-6);
    }
    std::sort(comes.begin(), comes.end());
    int busy = 0;
    for (const auto& [at, change] : comes) {
      busy += change;
      EXPECT_LE(busy, bench.hands);
    }
  }
}

/// The soonest end over every order in which one pair of hands can take them, day and night.
double byTryingAll(const std::vector<Activity>& all) {
  std::vector<int> order(all.size());
  std::iota(order.begin(), order.end(), 0);
  double best = 1e18;
  do {
    std::vector<double> ready(all.size(), -1);
    double free = 0, end = 0;
    bool fine = true;
    for (const int k : order) {
      const auto i = static_cast<std::size_t>(k);
      double from = free;
      for (const int need : all[i].needs) {
        if (ready[static_cast<std::size_t>(need)] < 0) fine = false;
        from = std::max(from, ready[static_cast<std::size_t>(need)]);
      }
      if (!fine) break;
      free = from + all[i].hands, ready[i] = free + all[i].cure, end = std::max(end, ready[i]);
    }
    if (fine) best = std::min(best, end);
  } while (std::next_permutation(order.begin(), order.end()));
  return best;
}

TEST(BenchSchedule, IsNearTheBestOfAllOrders) {
  test::Chance chance(22);
  BenchHours always;
  always.minutes.fill(1440);
  double worst = 1;
  for (int tries = 0; tries < 60; ++tries) {
    auto all = randomWork(chance, 7);
    for (Activity& a : all) a.attended = false, a.hands = std::max(a.hands, 1.0);
    const auto made = schedule(all, always);
    ASSERT_TRUE(made);
    const double best = byTryingAll(all);
    EXPECT_GE(made->end, best - 1e-6);
    EXPECT_LE(made->bound, best + 1e-6);
    worst = std::max(worst, made->end / best);
  }
  EXPECT_LE(worst, 1.1);
}

// Two halves, one pair of hands: while the one cures, the other is built.
TEST(BenchSchedule, HandsAreNotIdleWhileSomethingCures) {
  std::vector<Activity> all;
  for (int half = 0; half < 2; ++half) {
    all.push_back({60, 60, {}, false});
    all.push_back({60, 60, {half * 2}, false});
  }
  BenchHours always;
  always.minutes.fill(1440);
  EXPECT_NEAR(schedule(all, always)->end, 4 * 60 + 60, 1e-6);
  always.hands = 2;
  EXPECT_NEAR(schedule(all, always)->end, 4 * 60, 1e-6);
}

TEST(BenchSchedule, SaysWhatCannotBe) {
  std::vector<Activity> circle{{10, 0, {1}, false}, {10, 0, {0}, false}, {10, 0, {}, false}};
  EXPECT_FALSE(schedule(circle, {}));
  ASSERT_TRUE(circleIn(circle));
  EXPECT_EQ(*circleIn(circle), (std::vector<int>{0, 1}));
  BenchHours never;
  never.minutes.fill(0);
  EXPECT_FALSE(schedule({{10, 0, {}, false}}, never));
  EXPECT_TRUE(schedule({}, {}));
}

// The table's own hours at both temperatures; twice as long for every 10 K less where it is silent (from memory).
TEST(BenchSchedule, CuresLongerInTheCold) {
  const Glue& slow = shippedTables().glue("epoxy");
  EXPECT_NEAR(cureHours(slow, 20), 12, 1e-9);
  EXPECT_NEAR(cureHours(slow, 10), 24, 1e-9);
  EXPECT_NEAR(cureHours(slow, 30), 6, 1e-9);
  const Glue& quick = shippedTables().glue("epoxy-5");
  EXPECT_NEAR(cureHours(quick, 10), 1.5, 1e-9);
  EXPECT_NEAR(cureHours(quick, 15), std::sqrt(0.5 * 1.5), 1e-9);
  Glue own;
  EXPECT_NEAR(cureHours(own, 20), 2, 1e-9);
  EXPECT_NEAR(cureHours(own, 10), 4, 1e-9);
  own.hours = 0;
  EXPECT_EQ(cureHours(own, 0), 0);
  EXPECT_NEAR(openMinutes(slow, 30), openMinutes(slow, 20) / 2, 1e-9);
}

// Of every demo: steps are there once, need what is there, and only what the wing has; each can be worked through.
TEST(BenchSteps, FollowFromTheDesign) {
  for (const std::string& name : shipped::demoNames()) {
    const TrueWing w = wingOf(designFromText(shipped::demo(name).value()).value().design);
    const auto steps = stepsOf(w);
    std::set<std::string> keys;
    for (const Step& s : steps) {
      EXPECT_TRUE(keys.insert(s.key).second) << name << s.key;
      EXPECT_GT(s.minutes, 0) << s.key;
      EXPECT_FALSE(s.what.empty() || s.on.empty());
      for (const std::string& f : s.figures)
        if (!f.ends_with("BackBottom") && !f.ends_with("travelUp")) {
          EXPECT_NE(figureNamed(w, f), nullptr) << name << ' ' << s.key << ' ' << f;
        }
    }
    for (const Step& s : steps)
      for (const std::string& need : s.needs)
        EXPECT_TRUE(keys.count(need)) << name << ' ' << s.key << " needs " << need;
    EXPECT_FALSE(circleIn(activitiesOf(steps)));
    const auto has = [&](const char* part) {
      return std::any_of(keys.begin(), keys.end(),
                         [&](const std::string& k) { return k.find(part) != std::string::npos; });
    };
    const bool foam = std::any_of(w.design.wings.begin(), w.design.wings.end(), [](const Wing& one) {
      return std::any_of(one.panels.begin(), one.panels.end(),
                         [](const PanelDesign& p) { return p.built == Built::foam; });
    });
    EXPECT_EQ(has(".wire"), foam) << name;
    const bool surfaces = std::any_of(w.wings.begin(), w.wings.end(), [](const WholeWing& one) {
      return std::any_of(one.panels.begin(), one.panels.end(), [](const TruePanel& p) { return !p.surfaces.empty(); });
    });
    EXPECT_EQ(has(".hang"), surfaces) << name;
  }
}

TEST(BenchSteps, NothingIsClosedBeforeItWasLookedAt) {
  const TrueWing w = wingOf(designFromText(shipped::demo("fenlark-1500").value()).value().design);
  const auto steps = stepsOf(w);
  BenchHours bench;
  const auto made = schedule(activitiesOf(steps), bench);
  ASSERT_TRUE(made);
  const auto at = [&](const std::string& key) -> const Placed& {
    for (std::size_t i = 0; i < steps.size(); ++i)
      if (steps[i].key == key) return made->placed[i];
    ADD_FAILURE() << key;
    return made->placed.front();
  };
  for (const char* hand : {"right", "left"}) {
    const std::string p = std::string("1.1.") + hand + ".";
    EXPECT_LE(at(p + "ribsOn").ready, at(p + "upper").from);
    EXPECT_LE(at(p + "run0").ready, at(p + "look").from + 1e-6);
    EXPECT_LE(at(p + "servo0").ready, at(p + "look").from + 1e-6);
    EXPECT_LE(at(p + "look").ready, at(p + "skinBelow").from + 1e-6);
    EXPECT_LE(at(p + "skinBelow").ready, at(p + "skinTop").from + 1e-6);
    EXPECT_LE(at(p + "skinTop").ready, at("1.centre").from + 1e-6);
    EXPECT_LE(at("1.centre").ready, at(p + "cover").from + 1e-6);
  }
}

// Sittings are within bench hours and add up to the hands' minutes; the calendar is read by a parser of the test's own.
TEST(BenchCalendar, IsReadAgain) {
  const TrueWing w = wingOf(designFromText(shipped::demo("oldacre-1320").value()).value().design);
  const auto steps = stepsOf(w);
  const auto work = activitiesOf(steps);
  const Date first{2026, 12, 28}; // a Monday
  ASSERT_EQ(weekdayOf(first), 0);
  BenchHours bench;
  const auto made = schedule(work, bench);
  const auto sittings = sittingsOf(*made, work, bench);
  double hands = 0, told = 0;
  for (const Step& s : steps) hands += s.minutes;
  for (const Sitting& s : sittings) {
    told += s.to - s.from;
    EXPECT_EQ(std::floor(s.from / 1440 + 1e-9), std::floor(s.to / 1440 - 1e-9));
    EXPECT_NEAR(bench.worked(s.to) - bench.worked(s.from), s.to - s.from, 1e-5);
  }
  EXPECT_NEAR(told, hands, 0.01);
  const std::string text = toCalendar("Old, acre; model", steps, sittings, first, 18);
  std::string unfolded;
  for (std::size_t i = 0; i < text.size(); ++i) {
    if (text.compare(i, 3, "\r\n ") == 0) {
      i += 2;
      continue;
    }
    unfolded += text[i];
  }
  std::istringstream lines(unfolded);
  std::string line;
  std::size_t events = 0;
  std::string last;
  while (std::getline(lines, line)) {
    ASSERT_FALSE(line.empty());
    EXPECT_EQ(line.back(), '\r');
    line.pop_back();
    if (line == "BEGIN:VEVENT") ++events;
    if (line.starts_with("SUMMARY:")) {
      EXPECT_TRUE(line.starts_with("SUMMARY:Old\\, acre\\; model: "));
    }
    if (line.starts_with("DTSTART:")) {
      EXPECT_EQ(line.size(), 8U + 15);
      const std::string at = line.substr(8);
      EXPECT_GE(at, last);
      EXPECT_GE(at.substr(9, 2), "18");
      last = at;
    }
  }
  EXPECT_EQ(events, sittings.size());
  std::istringstream raw(text);
  while (std::getline(raw, line)) EXPECT_LE(line.size(), 76U);
}

// RFC 5545, 3.8.4.7: an event is known by its UID again, and no other has it.
TEST(BenchCalendar, EventsKeepTheirNames) {
  const auto uids = [](const std::string& model, bool without) {
    Design d = designFromText(shipped::demo("skerrow-1460").value()).value().design;
    if (without) d.bench.leftOut = {{"1.1.right.strips"}};
    const std::vector<Step> steps = stepsOf(wingOf(d));
    BenchHours bench;
    const std::vector<Activity> activities = activitiesOf(steps);
    const auto made = schedule(activities, bench);
    EXPECT_TRUE(made.has_value());
    const std::string text = toCalendar(model, steps, sittingsOf(*made, activities, bench), Date{2026, 12, 1}, 18);
    std::set<std::string> out;
    int events = 0;
    for (std::size_t at = text.find("\r\nUID:"); at != std::string::npos; at = text.find("\r\nUID:", at + 1), ++events)
      out.insert(text.substr(at + 2, text.find("\r\n", at + 2) - at - 2));
    EXPECT_EQ(out.size(), static_cast<std::size_t>(events)) << "no two are alike";
    return out;
  };
  const auto whole = uids("One", false), other = uids("Other", false), less = uids("One", true);
  EXPECT_GT(whole.size(), 20U);
  int kept = 0;
  for (const std::string& uid : less) kept += whole.contains(uid);
  EXPECT_GT(kept, static_cast<int>(less.size()) * 8 / 10) << "a step may be parted otherwise where a day ends";
  for (const std::string& uid : other) EXPECT_FALSE(whole.contains(uid)) << uid;
}

TEST(BenchCalendar, Dates) {
  EXPECT_EQ(daysAfter({2027, 12, 31}, 1), (Date{2028, 1, 1}));
  EXPECT_EQ(daysAfter({2028, 2, 28}, 1), (Date{2028, 2, 29}));
  EXPECT_EQ(weekdayOf({2026, 11, 29}), 6);
  EXPECT_EQ(dateFromText("2026-11-29"), (Date{2026, 11, 29}));
  for (const char* bad : {"", "2026-13-01", "2026-02-30", "26-1-1", "2026/11/29", "2026-11-2x"})
    EXPECT_FALSE(dateFromText(bad)) << bad;
}

TEST(BenchSteps, ToldOnTheCommandLine) {
  const test::ScratchFolder folder;
  const std::string path = (folder.path / "wing.euptera").string();
  std::ofstream(path) << shipped::demo("whinmoor-1250").value();
  const auto run = [&](std::vector<std::string> more) {
    std::ostringstream out, err;
    std::vector<std::string> args{"steps", path};
    args.insert(args.end(), more.begin(), more.end());
    const int code = cli::run(args, out, err);
    return std::pair(code, out.str() + err.str());
  };
  EXPECT_EQ(run({"--from", "2026-12-01"}).first, cli::fine);
  EXPECT_NE(run({"--from", "2026-12-01"}).second.find("Hot wire"), std::string::npos);
  EXPECT_NE(run({"--from", "2026-12-01", "--csv"}).second.find("key,from,to"), std::string::npos);
  EXPECT_NE(run({"--from", "2026-12-01", "--json"}).second.find("\"attended\": true"), std::string::npos);
  EXPECT_NE(run({"--from", "2026-12-01", "--ics"}).second.find("BEGIN:VCALENDAR"), std::string::npos);
  EXPECT_EQ(run({"--from", "yesterday"}).first, cli::usage);
  EXPECT_EQ(run({"--from", "2026-12-01", "--weekday", "0", "--weekend", "0"}).first, cli::usage);
  EXPECT_EQ(run({"--hands", "3"}).first, cli::usage);
}

} // namespace
} // namespace eup
