// What is recorded stays with its wood, whatever panels and wings are cut, put together, moved, added and taken out.
#include "../same_wood.h"
#include "core/bench/progress.h"
#include "core/bench/recording.h"
#include "core/described/design_file.h"
#include "core/described/limits_check.h"
#include "core/design/lasting.h"
#include "core/design/panel_rules.h"
#include "core/design/record_keys.h"
#include "core/edit/same_wood.h"
#include "core/steps/steps.h"
#include "core/wing/as_read.h"
#include "core/wing/model_balance.h"
#include "places.h"
#include "support.h"
#include <fmt/format.h>

namespace eup {
namespace {

using test::woodenWing;

/// As the window edits: what is recorded and decided by names goes along.
Design edited(const Design& before, Result<Design> next) {
  EXPECT_TRUE(next.ok()) << (next.ok() ? "" : next.problem().text());
  return asEdited(before, std::move(next).value());
}

Design undone(const Design& now, Design to) {
  to.records = recordsOfSameWood(now.records, now, to);
  return to;
}

int doneOn(const Design& d, int panel) {
  const TrueWing w = test::wingOf(d);
  return progressOf(stepsOf(w), d.records.steps, 0, panel, Hand::right).done;
}

/// Six steps of the outer panel are done, none of the inner one.
Design halfBuilt() {
  Design d = woodenWing();
  const TrueWing w = test::wingOf(d);
  int done = 0;
  for (const Step& s : stepsOf(w))
    if (s.panel == 1 && s.hand == Hand::right && done < 6)
      d.records.steps.push_back({s.key, "2026-12-01 10:00", "2026-12-01 11:00", 60, false, {}}), ++done;
  return d;
}

TEST(SameWood, CuttingThePanelInsideLeavesTheOuterOnesRecords) {
  const Design before = halfBuilt();
  ASSERT_EQ(doneOn(before, 1), 6);
  Design d = before;
  d.records.readings.push_back({ReadKind::incidence, 0, 1, Hand::right, 7, 1.25, 0.1, {}, {}, "by the pin"});
  tickPart(d.records, pieceKey({0, 1}, "rib.7"), Hand::right, &PartTick::fitted, true);
  d.balance.weighed = {{pieceKey({0, 1}, "rib.7"), Hand::right, 3.25}};
  d.bench.own = {
      {.name = "mine", .after = stepPrefix({0, 1}, Hand::right) + "ribsOn", .before = {}, .with = {}, .look = {}}};
  const Design cut = edited(d, withPanelSplit(d, {0, 0}, 200));
  ASSERT_EQ(cut.wings[0].panels.size(), 3u);
  EXPECT_EQ(doneOn(cut, 0), 0);
  EXPECT_EQ(doneOn(cut, 1), 0);
  EXPECT_EQ(doneOn(cut, 2), 6);
  // The joint has a rib of either panel: what was R7 is R8 now, with all that is known of it.
  EXPECT_EQ(cut.records.readings[0].rib, 8);
  EXPECT_EQ(test::chordAt(cut, cut.records.readings[0].of(), 8), test::chordAt(d, {0, 1}, 7));
  EXPECT_TRUE(tickOf(cut.records.parts, pieceKey({0, 1}, "rib.8"), Hand::right));
  EXPECT_FALSE(tickOf(cut.records.parts, pieceKey({0, 1}, "rib.7"), Hand::right));
  EXPECT_EQ(cut.balance.weighed[0].piece, pieceKey({0, 1}, "rib.8"));
  EXPECT_EQ(cut.bench.own[0].after, d.bench.own[0].after);
  Design back = undone(cut, d);
  EXPECT_GT(back.records.numbersGiven, d.records.numbersGiven); // the undo gives no number back
  back.records.numbersGiven = d.records.numbersGiven;
  EXPECT_EQ(back.records, d.records);
}

TEST(SameWood, WhatIsDoneOnAPanelIsDoneOnBothItsParts) {
  const Design before = halfBuilt();
  const Design cut = edited(before, withPanelSplit(before, {0, 1}, 100));
  EXPECT_EQ(doneOn(cut, 0), 0);
  EXPECT_GE(doneOn(cut, 1), 5);
  EXPECT_GE(doneOn(cut, 2), 5);
  const Design whole = edited(cut, withPanelsMerged(cut, {0, 1}));
  EXPECT_EQ(doneOn(whole, 1), 6) << "all its parts are that far";
  // One more is done on one part alone: not on the whole.
  Design further = cut;
  const TrueWing w = test::wingOf(cut);
  const std::vector<Step> steps = stepsOf(w);
  const auto next = std::find_if(steps.begin(), steps.end(), [&](const Step& s) {
    const StepRecord* r = recordOf(cut.records.steps, s.key);
    return s.panel == 1 && s.hand == Hand::right && (!r || r->done.empty());
  });
  ASSERT_NE(next, steps.end());
  further.records.steps.push_back({next->key, "2026-12-02 10:00", "2026-12-02 11:00", 60, false, {}});
  EXPECT_EQ(doneOn(edited(further, withPanelsMerged(further, {0, 1})), 1), 6);
  EXPECT_EQ(doneOn(undone(further, before), 1), 6);
}

TEST(SameWood, WingsAndPanelsThatChangePlacesTakeTheirRecordsAlong) {
  const Design before = halfBuilt();
  const Design swapped = edited(before, withPanelMovedOut(before, {0, 0}));
  EXPECT_EQ(doneOn(swapped, 0), 6);
  EXPECT_EQ(doneOn(swapped, 1), 0);
  Design out = edited(before, withPanelTakenOut(before, {0, 0}));
  EXPECT_EQ(doneOn(out, 0), 6);
  EXPECT_EQ(withoutWood(before.records, before, out), 0);
  const Design gone = edited(before, withPanelTakenOut(before, {0, 1}));
  EXPECT_EQ(doneOn(gone, 0), 0);
  EXPECT_EQ(withoutWood(gone.records, before, gone), 6);
  EXPECT_EQ(doneOn(undone(gone, before), 1), 6);
  // A panel that comes after it is another one.
  const Design added = edited(gone, withPanelAdded(gone, 0));
  EXPECT_EQ(doneOn(added, 1), 0);
  // Of three wings the middle one is taken out.
  Design three = edited(before, withWingAdded(before, WingKind::tailplane));
  three = edited(three, withWingAdded(three, WingKind::fin));
  three.records.readings.push_back({ReadKind::mass, three.wings[2].number, 0, Hand::right, 0, 12, 0, {}, {}, {}});
  const Design two = edited(three, withWingTakenOut(three, 1));
  EXPECT_EQ(panelRead(test::wingOf(two), two.records.readings[0])->design.id.wing, 1) << "the fin's";
}

TEST(SameWood, AJoinIsOfThePanelOutsideItAlone) {
  Design d = edited(woodenWing(), withPanelAdded(woodenWing(), 0));
  const auto key = [&](int panel) {
    return stepPrefix({0, d.wings[0].panels[static_cast<std::size_t>(panel)].number}, Hand::right) + "join";
  };
  d.records.steps = {{key(1), {}, "2026-12-01 11:00", 30, false, {}}}; // the outer one is not joined yet
  const Design merged = edited(d, withPanelsMerged(d, {0, 1}));
  const std::string now = stepPrefix({0, merged.wings[0].panels[1].number}, Hand::right) + "join";
  const StepRecord* r = recordOf(merged.records.steps, now);
  ASSERT_NE(r, nullptr);
  EXPECT_EQ(r->done, "2026-12-01 11:00");
  d.records.steps = {{key(2), {}, "2026-12-01 11:00", 30, false, {}}}; // what is one piece now was never joined inside
  const Design other = edited(d, withPanelsMerged(d, {0, 1}));
  EXPECT_EQ(recordOf(other.records.steps, now), nullptr);
}

TEST(SameWood, ATickOfNoKnownPieceStays) {
  Design d = woodenWing();
  d.records.parts = {{pieceKey({0, 1}, "rib.what"), Hand::right, true, false, false, 0}};
  EXPECT_EQ(edited(d, withPanelSplit(d, {0, 0}, 200)).records.parts, d.records.parts);
}

TEST(SameWood, FilesFromBeforeKeepTheirRecords) {
  const auto read = designFromText(test::slurp(test::testFile("version19.euptera")));
  ASSERT_TRUE(read.ok()) << read.problem().text();
  EXPECT_TRUE(read.value().notes.empty());
  const Design& d = read.value().design;
  const TrueWing w = test::wingOf(d);
  const std::vector<Step> steps = stepsOf(w);
  const auto has = [&](const std::string& key) {
    return std::any_of(steps.begin(), steps.end(), [&](const Step& s) { return s.key == key; });
  };
  EXPECT_TRUE(has("1.2.right.ribsOn") && has("2.1.left.edges") && has("own.1"));
  EXPECT_TRUE(withoutPlace(w).empty());
  EXPECT_EQ(placeRead(w, d.records.readings[0]), "R12, panel 2");
  EXPECT_EQ(placeRead(w, d.records.readings[1]), "Tailplane, half wing");
  EXPECT_NE(recordOf(d.records.steps, "1.2.right.ribsOn"), nullptr);
  EXPECT_EQ(balanceOf(w).weighed, 1);
}

TEST(SameWood, NumbersThatStandTwiceAreMadeOwn) {
  Design d = woodenWing();
  d.wings.front().panels[1].number = 0;
  const auto read = designFromText(designToText(d));
  ASSERT_TRUE(read.ok());
  ASSERT_EQ(read.value().notes.size(), 1u);
  EXPECT_NE(read.value().design.wings[0].panels[1].number, 0);
}

TEST(SameWood, NoNumberIsGivenTwice) {
  const Design two = woodenWing();
  const Design one = edited(two, withPanelTakenOut(two, {0, 1}));
  Design other = edited(one, withPanelAdded(one, 0));
  EXPECT_NE(other.wings[0].panels[1].number, two.wings[0].panels[1].number);
  // What is recorded of that one is not of the one that comes back, however often it goes.
  other.records.steps.push_back(
      {stepPrefix({0, other.wings[0].panels[1].number}, Hand::right) + "webs", {}, "2026-12-01 10:00", 0, false, {}});
  const Design back = undone(undone(other, one), two);
  EXPECT_EQ(doneOn(back, 1), 0);
  const int given = back.records.numbersGiven;
  const Design cut = edited(back, withPanelSplit(back, {0, 1}, 100));
  EXPECT_EQ(cut.wings[0].panels[1].number, given);
  EXPECT_EQ(cut.wings[0].panels[2].number, given + 1);
  // A file that gave the last number of all: the first that is nobody's.
  Design last = two;
  last.wings[0].panels[1].number = mostNumber;
  const std::vector<int> all = numbersIn(last);
  EXPECT_EQ(std::count(all.begin(), all.end(), freshNumber(last)), 0);
  EXPECT_LT(freshNumber(last), 10);
  last.records.numbersGiven = mostNumber;
  EXPECT_EQ(std::count(all.begin(), all.end(), freshNumber(last)), 0);
  EXPECT_LT(freshNumber(last), 10);
}

/// All that was ever recorded, each with a word of its own and the chord of the wood that it is of.
struct Made {
  std::vector<std::pair<std::string, double>> readings, ticks;
  std::vector<std::string> looks, lines;
};

void recordSomething(Design& d, test::Chance& chance, Made& made, int number) {
  const int wing = chance.number(static_cast<int>(d.wings.size()));
  const auto& panels = d.wings[static_cast<std::size_t>(wing)].panels;
  const int panel = chance.number(static_cast<int>(panels.size()));
  int first = 1;
  for (int k = 0; k < panel; ++k) {
    const PanelDesign& p = panels[static_cast<std::size_t>(k)];
    first += static_cast<int>(ribStations(p.ribs, p.panel.span).size());
  }
  const PanelDesign& p = panels[static_cast<std::size_t>(panel)];
  const PanelNumber of{d.wings[static_cast<std::size_t>(wing)].number, p.number};
  const int rib = first + chance.number(static_cast<int>(ribStations(p.ribs, p.panel.span).size()));
  const Hand hand = chance.once(2) ? Hand::left : Hand::right;
  const double chord = *test::chordAt(d, of, rib);
  const std::string word = fmt::format("the {}th", number);
  switch (chance.number(4)) {
  case 0:
    d.records.readings.push_back({ReadKind::incidence, of.wing, of.panel, hand, rib, 1, 0.1, {}, {}, word});
    made.readings.emplace_back(word, chord);
    break;
  case 1:
    tickPart(d.records, pieceKey(of, fmt::format("rib.{}", rib)), hand, &PartTick::fitted, true);
    made.ticks.emplace_back(name(hand), chord);
    break;
  case 2: {
    const std::string key = stepPrefix(of, hand) + "webs";
    const StepRecord* there = recordOf(d.records.steps, key);
    if (there && !there->lookedBy.empty()) break; // it is signed
    std::erase_if(d.records.steps, [&](const StepRecord& s) { return s.key == key; });
    d.records.steps.push_back({key, "2026-12-01 10:00", chance.once(2) ? "2026-12-01 11:00" : "", 5, true, word});
    made.looks.push_back(word);
    break;
  }
  default:
    addToLog(d.records, {{2026, 12, 1}, 600}, LogKind::note, word);
    made.lines.push_back(word);
  }
}

void expectAllThere(const Design& d, const Made& made) {
  for (const auto& [word, chord] : made.readings) {
    const auto found = std::find_if(d.records.readings.begin(), d.records.readings.end(),
                                    [&, &word = word](const BenchReading& r) { return r.note == word; });
    ASSERT_NE(found, d.records.readings.end()) << word;
    const auto now = test::chordAt(d, found->of(), found->rib);
    EXPECT_NEAR(now.value_or(chord), chord, 0.1) << word;
  }
  // A rib that stands there and was fitted, is; one that was not is not.
  for (const Wing& wing : d.wings) {
    int rib = 1;
    for (const PanelDesign& p : wing.panels)
      for (std::size_t i = 0; i < ribStations(p.ribs, p.panel.span).size(); ++i, ++rib)
        for (const Hand hand : {Hand::right, Hand::left}) {
          const auto* tick =
              tickOf(d.records.parts, pieceKey({wing.number, p.number}, fmt::format("rib.{}", rib)), hand);
          if (!tick) continue;
          const double chord = *test::chordAt(d, {wing.number, p.number}, rib);
          EXPECT_TRUE(
              std::any_of(made.ticks.begin(), made.ticks.end(),
                          [&](const auto& m) { return m.first == name(hand) && std::abs(m.second - chord) < 0.1; }))
              << "R" << rib << " of chord " << chord;
        }
  }
  for (const std::string& word : made.looks)
    EXPECT_TRUE(std::any_of(d.records.steps.begin(), d.records.steps.end(), [&](const StepRecord& s) {
      return s.lookedBy == word;
    })) << word;
  for (const std::string& word : made.lines)
    EXPECT_EQ(
        std::count_if(d.records.log.begin(), d.records.log.end(), [&](const LogEntry& l) { return l.text == word; }), 1)
        << word;
}

// Five hundred ways of building, rebuilding, taking back, saving and opening; EUPTERA_FUZZ=20000 for more.
TEST(SameWood, NothingRecordedIsLostOrElsewhere) {
  const unsigned from = static_cast<unsigned>(test::asked("EUPTERA_FUZZ_FROM", 1));
  for (unsigned seed = from; seed < from + static_cast<unsigned>(test::asked("EUPTERA_FUZZ", 500)); ++seed) {
    SCOPED_TRACE(seed);
    test::Chance chance(seed);
    Design d = woodenWing();
    std::vector<Design> past, future;
    Made made;
    for (int deed = 0; deed < 10 && !testing::Test::HasFailure(); ++deed) {
      switch (chance.number(6)) {
      case 0:
      case 1:
        recordSomething(d, chance, made, deed);
        break;
      case 2:
      case 3:
        if (Design next = edited(d, test::rearranged(d, chance)); !(next == d))
          past.push_back(d), d = std::move(next), future.clear();
        break;
      case 4:
        if (auto& stack = chance.once(2) ? past : future; !stack.empty()) {
          (&stack == &past ? future : past).push_back(d);
          const Design to = stack.back();
          stack.pop_back();
          d = undone(d, to);
        }
        break;
      default: {
        ASSERT_FALSE(outOfLimits(d).has_value());
        auto read = designFromText(designToText(d));
        ASSERT_TRUE(read.ok()) << read.problem().text();
        ASSERT_TRUE(read.value().design == d);
        d = std::move(read.value().design), past.clear(), future.clear();
      }
      }
      expectAllThere(d, made);
    }
    if (testing::Test::HasFailure()) return;
  }
}

} // namespace
} // namespace eup
