// A machine's path for a foam core: written, read by a second parser of the tests' own, read back by the program,
// refused where it cannot be run.
#include "cli/commands.h"
#include "core/described/design_file.h"
#include "core/exchange/wire_code.h"
#include "core/exchange/wire_link.h"
#include "core/files/text_file.h"
#include "core/geometry/polyline.h"
#include "core/takeaway/take_away.h"
#include "places.h"
#include "support.h"
#include <map>
#include <random>
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

TEST(WireCode, NothingButCommentsStandsAfterTheEnd) {
  const auto why = [](const std::string& text) {
    const auto read = readWireCode(text, "XYUV");
    return read.ok() ? std::string() : read.problem().text();
  };
  const std::string whole = "G21\nG90\nM3 S50\nG94\nG1 X5 Y5 U5 V5 F600\nM5\nM2\n";
  EXPECT_EQ(why(whole), "");
  EXPECT_EQ(why(whole + "; a word at the end\n\n"), "");
  EXPECT_EQ(why(whole + "M3 S100\nG1 X600 F3000\n"), "line 8: something stands after M2");
  EXPECT_EQ(why("G0 X1\nM2 G0 X600\n"), "line 2: a move stands alone in its line");
}

TEST(WireCode, WhatAMachineCouldReadOtherwiseIsRefused) {
  const auto why = [](const std::string& text) {
    const auto read = readWireCode("M3 S50\nG94\n" + text + "\nM5\nM2\n", "XYUV", {700, 300});
    return read.ok() ? std::string() : read.problem().text();
  };
  EXPECT_EQ(why("G1 X700 Y300 U700 V300 F600"), "");
  EXPECT_EQ(why("G1 X700.1 F600"), "line 3: X700.1 lies beyond the machine's travel, 0 to 700 mm");
  EXPECT_EQ(why("G0 Y-1"), "line 3: Y-1 lies beyond the machine's travel, 0 to 300 mm");
  EXPECT_EQ(why("G1 X5 X600 F600"), "line 3: “X” stands twice in a line");
  EXPECT_EQ(why("X600 Y200"), "line 3: “X600” is not in the dialect, or not in such a line")
      << "a move by what was said before";
  EXPECT_EQ(why("F600"), "line 3: “F600” is not in the dialect, or not in such a line");
  EXPECT_EQ(why("G1 X300 F6001"), "line 3: an end would cut faster than 100 mm/s");
  EXPECT_EQ(why("G1 X300 F0.001"), "line 3: the cut would take more than 3600 s");
  EXPECT_EQ(why("G4 P1e308"), "line 3: it waits 0 to 600 s");
  EXPECT_EQ(why("M3 S0"), "line 3: M3 wants a heat, above S0 up to S100");
  EXPECT_EQ(why("G20"), "line 3: G20 is not in the dialect");
  EXPECT_EQ(why("G91"), "line 3: G91 is not in the dialect");
  EXPECT_EQ(why("G1e300 X1"), "line 3: G1e+300 is not in the dialect");
}

TEST(WireCode, ANameCannotBecomeALine) {
  for (const std::string end : {"\r", "\n", "\v", "\f", "\xc2\x85", "\xe2\x80\xa8", "\xe2\x80\xa9", ")", ";"}) {
    Design d = ofFoam();
    d.name = "wing" + end + "M3 S100" + end + "G0 X700";
    const std::string code = codeOf(d);
    const std::string head = code.substr(0, code.find('\n'));
    EXPECT_TRUE(std::all_of(head.begin(), head.end(), [](char c) { return c >= ' ' && c <= '~'; })) << head;
    EXPECT_TRUE(head.starts_with("; wing")) << head;
    EXPECT_EQ(readWireCode(code, "XYUV").value().moves.size(),
              readWireCode(codeOf(ofFoam()), "XYUV").value().moves.size());
    // And where another program has written such a comment, all that a machine may take for a line is looked at.
    if (end.front() == ')' || end.front() == ';') continue;
    const auto read = readWireCode("; wing" + end + "G0 X701\nM2\n", "XYUV");
    ASSERT_FALSE(read.ok());
    EXPECT_NE(read.problem().text().find("travel"), std::string::npos) << read.problem().text();
  }
}

TEST(WireCode, IsReadBackBeforeItIsOffered) {
  Design d = ofFoam();
  d.wire.heat = 0.04;
  const auto code = wireCodeOf(wingOf(d).inner(), 1, Hand::right);
  ASSERT_FALSE(code.ok());
  EXPECT_NE(code.problem().text().find("M3 wants a heat"), std::string::npos) << code.problem().text();
  d.wire.heat = 0.4;
  EXPECT_TRUE(wireCodeOf(wingOf(d).inner(), 1, Hand::right).ok());
}

/// Whatever is accepted stays within travel, speed and heat, and what would be sent is what was read.
void expectWithinBounds(const std::string& text) {
  std::string sent;
  for (const std::string& line : wireLines(text)) sent += line + "\n";
  const auto read = readWireCode(text, "XYUV", {700, 300}), again = readWireCode(sent, "XYUV", {700, 300});
  if (!read.ok()) return; // then nothing is sent
  ASSERT_TRUE(again.ok()) << text;
  ASSERT_EQ(read.value().moves.size(), again.value().moves.size()) << text;
  TowerStep before;
  for (std::size_t i = 0; i < read.value().moves.size(); ++i) {
    const ReadMove& m = read.value().moves[i];
    for (const Point& p : {m.to.inner, m.to.outer}) {
      ASSERT_TRUE(p.x() > -1e-3 && p.x() < 700.001 && p.y() > -1e-3 && p.y() < 300.001) << text;
    }
    ASSERT_TRUE(m.heat >= 0 && m.heat <= 100 && m.wait >= 0 && m.seconds >= 0 && m.seconds <= 3600) << text;
    const double way = std::max((m.to.inner - before.inner).norm(), (m.to.outer - before.outer).norm());
    if (m.seconds > 0) {
      ASSERT_LE(way / m.seconds, 100.001) << text;
    }
    ASSERT_EQ(m.to.inner, again.value().moves[i].to.inner);
    ASSERT_EQ(m.heat, again.value().moves[i].heat);
    before = m.to;
  }
}

int pathsTried() {
  const char* many = std::getenv("EUPTERA_FUZZ");
  return many ? std::atoi(many) : 600;
}

TEST(WireCode, RandomPathsStayWithinBounds) {
  std::mt19937 random(7);
  const std::vector<std::string> words = {
      "G0",     "G1", "G4",     "G21", "G90", "G91",  "G93", "G94", "M2",    "M3",  "M5",  "F600",    "F1e9",
      "F2",     "P3", "P1e308", "S50", "S0",  "S1e9", "X10", "X-3", "X5000", "Y30", "U10", "U699.99", "V30",
      "V1e300", "\n", "\n",     "\n",  "\r",  "\v",   ";",   "(",   ")",     " ",   "é"};
  for (int i = 0; i < pathsTried(); ++i) {
    std::string text = random() % 2 ? "G21\nG90\nM3 S50\nG94\n" : "";
    for (auto k = random() % 40; k > 0; --k) text += words[random() % words.size()];
    if (random() % 2) text += "\nM5\nM2\n";
    expectWithinBounds(text);
  }
}

TEST(WireCode, DamagedPathsStayWithinBounds) {
  std::mt19937 random(8);
  std::string real = "; a core\nG21\nG90\nG0 X10.000 Y80.000 U10.000 V80.000\nM3 S60.0\nG4 P10.0\nG94\n";
  for (int i = 0; i < 12; ++i)
    real +=
        fmt::format("G1 X{:.3f} Y{:.3f} U{:.3f} V{:.3f} F240.0000\n", 20.0 + 9 * i, 80.0 - i, 20.0 + 7 * i, 79.0 - i);
  real += "G4 P1.0\nM5\nG0 X0.000 Y90.000 U0.000 V90.000\nM2\n";
  ASSERT_TRUE(readWireCode(real, "XYUV").ok());
  const std::string letters = "0123456789.-eGMXYUVFPS \n\r\v();";
  for (int i = 0; i < pathsTried(); ++i) {
    std::string text = real;
    for (auto k = 1 + random() % 3; k > 0; --k) {
      const std::size_t at = random() % text.size();
      switch (random() % 4) {
      case 0:
        text[at] = letters[random() % letters.size()];
        break;
      case 1:
        text.insert(at, 1, letters[random() % letters.size()]);
        break;
      case 2:
        text.erase(at, 1 + random() % 5);
        break;
      default:
        text.insert(at, text.substr(random() % text.size(), random() % 30));
      }
    }
    expectWithinBounds(text);
  }
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
