// A machine's path for a foam core: written, read by a second parser of the tests' own, read back by the program,
// refused where it cannot be run.
#include "cli/commands.h"
#include "core/design/design_file.h"
#include "core/exchange/wire_code.h"
#include "core/files/text_file.h"
#include "core/geometry/polyline.h"
#include "core/work/take_away.h"
#include "places.h"
#include "support.h"
#include <map>
#include <rapidcheck/gtest.h>
#include <regex>
#include <sstream>

namespace eup {
namespace {

using test::wingOf;

Design ofFoam() {
  Design d = test::foamDesign(test::panelOf(500, 200, 140, 40, 1, 0.25), 10);
  PanelDesign& p = d.inner();
  p.sections.root.naca = p.sections.tip.naca = "2411";
  p.ribs.count = 4;
  d.wire.towersApart = 800, d.wire.fromTower = 150;
  return d;
}

/// By another way than the program's: regular expressions, a state that is told by letters.
struct Line {
  std::map<char, double> at;
  double minutes = 0;
  bool hot = false, cuts = false;
};
std::vector<Line> parsed(const std::string& text) {
  std::vector<Line> out;
  std::map<char, double> at{{'X', 0}, {'Y', 0}, {'U', 0}, {'V', 0}};
  bool hot = false;
  std::istringstream in(text);
  const std::regex word("([A-Z])(-?[0-9]+(?:\\.[0-9]+)?)");
  for (std::string line; std::getline(in, line);) {
    line = line.substr(0, line.find(';'));
    Line one;
    bool moves = false;
    for (std::sregex_iterator w(line.begin(), line.end(), word), end; w != end; ++w) {
      const char letter = (*w)[1].str()[0];
      const double value = std::stod((*w)[2]);
      if (letter == 'G' && (value == 0 || value == 1)) moves = true, one.cuts = value == 1;
      if (letter == 'M' && value == 3) hot = true;
      if (letter == 'M' && value == 5) hot = false;
      if (letter == 'F') one.minutes = 1 / value;
      if (at.contains(letter)) at[letter] = value;
    }
    one.at = at, one.hot = hot;
    if (moves) out.push_back(one);
  }
  return out;
}

std::string codeOf(const Design& d, Hand hand = Hand::right) {
  const TrueWing w = wingOf(d);
  const auto code = wireCodeOf(w.inner(), 1, hand);
  EXPECT_TRUE(code.ok()) << (code.ok() ? "" : code.problem().text());
  return code.ok() ? code.value() : std::string();
}

TEST(WireCode, IsTheCoresPathAtBothTowers) {
  const Design d = ofFoam();
  const TrueWing w = wingOf(d);
  const FoamCore& core = w.inner().foam->cores[0];
  const std::vector<Line> lines = parsed(codeOf(d));
  ASSERT_GT(lines.size(), 100u);
  for (const char axis : {'X', 'Y', 'U', 'V'}) {
    EXPECT_EQ(lines.front().at.at(axis), 0) << "from zero";
    EXPECT_EQ(lines.back().at.at(axis), 0) << "and home";
  }
  // Every cut is hot, every way in the air is over the block or behind it; back at the ends it is the core's own way.
  Box inner, outer;
  double seconds = 0;
  for (std::size_t i = 1; i < lines.size(); ++i) {
    const Line& l = lines[i];
    EXPECT_EQ(l.cuts, l.hot && l.cuts);
    const TowerStep at{{l.at.at('X'), l.at.at('Y')}, {l.at.at('U'), l.at.at('V')}};
    const Point in = atEnd(at, -150, 650, 0), out = atEnd(at, -150, 650, 500);
    if (l.cuts) {
      seconds += l.minutes * 60;
      inner.include(in), outer.include(out);
    }
  }
  const Point zero(d.wire.blockAft - core.front, d.wire.blockUp - core.low);
  const Box want = boundsOf([&] {
    Polyline path;
    for (const WireAt& at : core.inner.path) path.push_back(core.innerCut.fromChord(at.at) + zero);
    return path;
  }());
  EXPECT_NEAR(inner.low.x(), want.low.x(), 2e-3);
  EXPECT_NEAR(inner.low.y(), want.low.y(), 2e-3);
  EXPECT_NEAR(inner.high.y(), want.high.y(), 2e-3);
  EXPECT_NEAR(inner.high.x(), d.wire.blockAft + core.block.width + d.wire.clear, 2e-3) << "in and out behind the block";
  // As long as the longer end's way takes at the decided speed, each step.
  double way = 0;
  for (std::size_t i = 1; i < core.inner.path.size(); ++i)
    way += std::max((core.inner.path[i].at - core.inner.path[i - 1].at).norm(),
                    (core.outer.path[i].at - core.outer.path[i - 1].at).norm());
  EXPECT_GT(seconds, way / d.wire.speed);
  EXPECT_LT(seconds, (way + 2 * (core.block.width - 190 + 60 + 40)) / d.wire.speed);
}

TEST(WireCode, IsReadBack) {
  Design d = ofFoam();
  const std::string code = codeOf(d);
  const auto read = readWireCode(code, "XYUV");
  ASSERT_TRUE(read.ok()) << read.problem().text();
  const std::vector<Line> lines = parsed(code);
  ASSERT_EQ(read.value().moves.size(), lines.size());
  double seconds = 0;
  for (std::size_t i = 0; i < lines.size(); ++i) {
    EXPECT_EQ(read.value().moves[i].to.inner.x(), lines[i].at.at('X'));
    EXPECT_EQ(read.value().moves[i].to.outer.y(), lines[i].at.at('V'));
    EXPECT_EQ(read.value().moves[i].hot(), lines[i].hot);
    if (lines[i].cuts) seconds += lines[i].minutes * 60;
  }
  EXPECT_NEAR(read.value().hotSeconds, seconds, 1e-6);
  EXPECT_EQ(read.value().dwells, d.wire.preheat);
  // Told by the inner end's way it takes as long.
  d.wire.feed = FeedBy::innerEnd, d.wire.axes = "XYZA";
  const auto other = readWireCode(codeOf(d), "XYZA");
  ASSERT_TRUE(other.ok()) << other.problem().text();
  EXPECT_NEAR(other.value().hotSeconds, seconds, 0.02 * seconds) << "feeds and places are rounded";
}

TEST(WireCode, LeftStandsTheOtherWayRound) {
  const std::vector<Line> right = parsed(codeOf(ofFoam())), left = parsed(codeOf(ofFoam(), Hand::left));
  ASSERT_EQ(right.size(), left.size());
  for (std::size_t i = 0; i < right.size(); ++i) {
    EXPECT_EQ(right[i].at.at('X'), left[i].at.at('U'));
    EXPECT_EQ(right[i].at.at('V'), left[i].at.at('Y'));
  }
}

TEST(WireCode, LimitsAreCheckedBeforeAnythingMoves) {
  const auto why = [](const Design& d) {
    const auto code = wireCodeOf(wingOf(d).inner(), 1, Hand::right);
    return code.ok() ? std::string() : code.problem().text();
  };
  Design d = ofFoam();
  d.wire.travelAft = 200;
  EXPECT_NE(why(d).find("it travels 200.0"), std::string::npos) << why(d);
  d = ofFoam();
  d.wire.travelUp = 30;
  EXPECT_NE(why(d).find("up"), std::string::npos);
  d = ofFoam();
  d.wire.blockAft = -300;
  EXPECT_NE(why(d).find("below zero"), std::string::npos);
  d = ofFoam();
  d.wire.towersApart = 400;
  EXPECT_NE(why(d).find("towers"), std::string::npos) << "they stand in the block";
  d = ofFoam();
  d.wire.axes = "XYXV";
  EXPECT_NE(why(d).find("twice"), std::string::npos);
  d.wire.axes = "XG";
  EXPECT_NE(why(d).find("four letters"), std::string::npos);
  d.wire.axes = "XYGM";
  EXPECT_NE(why(d).find("none of"), std::string::npos);
  EXPECT_FALSE(wireCodeOf(wingOf(ofFoam()).inner(), 2, Hand::right).ok());
  EXPECT_FALSE(wireCodeOf(wingOf(Design{}).inner(), 1, Hand::right).ok());
}

TEST(WireCode, WhatIsNotInTheDialectIsRefusedWithItsLine) {
  const auto why = [](const std::string& text) {
    const auto read = readWireCode(text, "XYUV");
    return read.ok() ? std::string() : read.problem().text();
  };
  EXPECT_EQ(why("G21\nG2 X1\nM2\n"), "line 2: G2 is not in the dialect");
  EXPECT_EQ(why("G1 X1 F3\nM2\n"), "line 1: the wire would cut cold: M3 must come before G1");
  EXPECT_EQ(why("M3 S50\nG1 X1\n"), "line 2: a cut without F");
  EXPECT_EQ(why("M3 S50\nG93\nG1 X1 F2\nM2"), "line 4: it ends with a hot wire");
  EXPECT_EQ(why("G0 X1\n"), "line 1: it ends without M2");
  EXPECT_EQ(why("G0 Xx\n"), "line 1: “X” has no number");
  EXPECT_EQ(why("G0 (X1\n"), "line 1: a comment is not closed");
  EXPECT_EQ(why("g0\n"), "line 1: “g” begins no word");
  EXPECT_EQ(why("G0 X1e999\n").substr(0, 6), "line 1");
  EXPECT_EQ(why("G0 X1 ; anything\nM2\n"), "");
}

RC_GTEST_PROP(WireCode, RubbishIsReadOrRefused, (const std::string& rubbish)) {
  (void)readWireCode(rubbish, "XYUV");
  (void)readWireCode("G21\nM3 S5\nG93\nG1 " + rubbish + "\nM5\nM2\n", "XYUV");
}

TEST(WireCode, TheCommandLineWritesAndReadsIt) {
  const test::ScratchFolder folder;
  const auto path = folder.path / "w.euptera", nc = folder.path / "w.nc";
  ASSERT_TRUE(writeFileAtomically(path, designToText(ofFoam())).ok());
  std::ostringstream out, err, told;
  ASSERT_EQ(cli::run({"wire", path.string(), "--panel", "1", "--hand", "left"}, out, err), cli::fine) << err.str();
  ASSERT_TRUE(writeFileAtomically(nc, out.str()).ok());
  EXPECT_EQ(cli::run({"wire-read", nc.string()}, told, err), cli::fine) << err.str();
  EXPECT_NE(told.str().find("outer tower"), std::string::npos);
  std::ostringstream no, why;
  EXPECT_EQ(cli::run({"wire", path.string(), "--panel", "3"}, no, why), cli::usage);
  EXPECT_EQ(cli::run({"wire", path.string(), "--core", "3"}, no, why), cli::seriousFindings);
}

} // namespace
} // namespace eup
