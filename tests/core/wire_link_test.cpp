// The talk between the computer and a hot wire's machine, with a simulated machine at the other end that shares no code
// with it, in a time of the test's own: whole, and with each thing going wrong.
#include "core/exchange/wire_code.h"
#include "core/exchange/wire_link.h"
#include "core/geometry/polyline.h"
#include "core/geometry/region.h"
#include "core/takeaway/take_away.h"
#include "hot_wire/simulated_wire.h"
#include "support.h"
#include "terminal.h"
#include <boost/crc.hpp>
#include <fmt/format.h>
#include <polyclipping/clipper.hpp>

namespace eup {
namespace {

using instruments::SimulatedWire;
using instruments::WireFaults;

/// A machine and the computer, a hundredth of a second at a time.
struct Bench {
  explicit Bench(WireFaults faults = {}) : machine({}, faults) { link.greet(0); }
  void run(double seconds) {
    for (const double end = now + seconds; now < end;) step();
  }
  void step() {
    now += 0.01;
    const std::string out = link.live(now);
    written += out;
    if (!cut) machine.hear(out, now), link.hear(machine.live(now), now);
  }
  /// Until it is in that state; false when that takes longer.
  bool reaches(WireState state, double within) {
    for (const double end = now + within; now < end && link.status().state != state;) step();
    return link.status().state == state;
  }
  SimulatedWire machine;
  WireLink link;
  double now = 0;
  bool cut = false; ///< the cable
  std::string written;
};

TruePanel panelOfFoam() {
  Design d = test::foamDesign(test::panelOf(300, 160, 120, 20, 1, 0.25), 8);
  d.inner().ribs.count = 3;
  d.wire.towersApart = 600, d.wire.fromTower = 150;
  return test::wingOf(d).wing(0).panels.front();
}

std::string coreText() {
  static const std::string text = wireCodeOf(panelOfFoam(), 1, Hand::right).value();
  return text;
}

std::string small() {
  return "G21\nG90\nG0 X0 Y40 U0 V40\nM3 S50\nG4 P4\nG94\nG1 X30 Y40 U20 V40 F600\nG1 X30 Y20 U20 V22 F600\nM5\nG0 "
         "X0 Y0 U0 V0\nM2\n";
}

/// mm that the inner tower's end goes hot.
double hotWay(const ReadCode& read) {
  double way = 0;
  Point before(0, 0);
  for (const ReadMove& m : read.moves) {
    if (m.hot()) way += (m.to.inner - before).norm();
    before = m.to.inner;
  }
  return way;
}

/// A machine at work on a core, so long after it began.
struct AtWork : Bench {
  explicit AtWork(double seconds, WireFaults faults = {}) : Bench(faults) {
    EXPECT_TRUE(reaches(WireState::ready, 5));
    link.begin(coreText(), now);
    run(seconds);
  }
};

TEST(WireTalk, APathGoesThroughToItsLastLine) {
  Bench bench;
  EXPECT_EQ(bench.link.status().state, WireState::greeting);
  ASSERT_TRUE(bench.reaches(WireState::ready, 1));
  EXPECT_EQ(bench.link.status().axes, "XYUV");
  EXPECT_EQ(bench.link.status().travel[1], 500);
  const std::string text = coreText();
  const auto read = readWireCode(text, "XYUV");
  ASSERT_TRUE(read);
  bench.link.begin(text, bench.now);
  double hottest = 0;
  const double start = bench.now;
  while (bench.link.status().state != WireState::done && bench.now < 1000) {
    bench.step();
    hottest = std::max(hottest, bench.machine.heat());
  }
  ASSERT_EQ(bench.link.status().state, WireState::done);
  EXPECT_EQ(bench.link.status().done, static_cast<int>(wireLines(text).size()));
  EXPECT_EQ(bench.link.status().resent, 0);
  EXPECT_NEAR(hottest, 60, 1);
  EXPECT_TRUE(bench.machine.cold());
  for (const double at : bench.machine.at()) EXPECT_NEAR(at, 0, 1e-9) << "home";
  // Two readers of the dialect that share no code agree on its time and its way.
  const double seconds = travelOf(read.value()).back().seconds;
  EXPECT_NEAR(bench.now - start, seconds, 0.03 * seconds);
  const double way = hotWay(read.value());
  EXPECT_NEAR(bench.machine.burnt(), way, 0.01 * way);
}

TEST(WireTalk, TwentyThousandLinesDoNotStall) {
  std::string text = "G21\nG90\nG0 X10 Y40 U10 V40\nM3 S50\nG93\n";
  for (int i = 0; i < 20000; ++i) text += i % 2 ? "G1 X10 Y40 U10 V40 F2400\n" : "G1 X10.1 Y40 U10.1 V40 F2400\n";
  text += "M5\nM2\n";
  Bench bench;
  ASSERT_TRUE(bench.reaches(WireState::ready, 1));
  bench.link.begin(text, bench.now);
  const double start = bench.now;
  ASSERT_TRUE(bench.reaches(WireState::done, 700));
  // 20 000 moves of a fortieth of a second: the machine never waited for a line for longer than one takes.
  EXPECT_NEAR(bench.now - start, 500, 5);
  EXPECT_EQ(bench.link.status().resent, 0);
}

TEST(WireTalk, HoldGoesColdAndHeatsUpAgain) {
  AtWork bench(25);
  ASSERT_EQ(bench.link.status().state, WireState::working);
  bench.link.hold();
  ASSERT_TRUE(bench.reaches(WireState::held, 0.5));
  const auto at = bench.machine.at();
  bench.run(20);
  EXPECT_EQ(bench.machine.at(), at);
  EXPECT_LT(bench.link.status().heat, 1);
  EXPECT_EQ(bench.link.status().state, WireState::held) << "however long";
  bench.link.resume();
  ASSERT_TRUE(bench.reaches(WireState::warming, 0.5));
  bench.run(1);
  EXPECT_EQ(bench.machine.at(), at) << "not before it is hot";
  bench.link.hold();
  ASSERT_TRUE(bench.reaches(WireState::held, 0.5)) << "while it heats up too";
  bench.link.resume();
  EXPECT_TRUE(bench.reaches(WireState::done, 400));
  for (const double home : bench.machine.at()) EXPECT_NEAR(home, 0, 1e-9);
}

TEST(WireTalk, StopIsStillAndColdAtOnce) {
  AtWork bench(25);
  bench.link.stop();
  bench.run(0.05);
  const auto at = bench.machine.at();
  EXPECT_TRUE(bench.machine.cold());
  ASSERT_TRUE(bench.reaches(WireState::stopped, 0.5));
  bench.run(5);
  EXPECT_EQ(bench.machine.at(), at);
  EXPECT_EQ(bench.link.status().state, WireState::stopped);
  AtWork unheard(25); // nothing that is ordered meanwhile takes back a stop that has not come through
  unheard.cut = true;
  unheard.link.stop();
  unheard.run(0.1);
  unheard.link.hold(), unheard.link.resume(), unheard.link.zero(), unheard.link.begin(small(), unheard.now);
  unheard.cut = false;
  EXPECT_TRUE(unheard.reaches(WireState::stopped, 1));
  EXPECT_TRUE(unheard.machine.cold());
  EXPECT_FALSE(bench.link.status().atZero());
  bench.link.zero(); // brought there by hand
  bench.run(0.5);
  EXPECT_TRUE(bench.link.status().atZero());
  bench.link.begin(small(), bench.now); // and another can begin
  EXPECT_TRUE(bench.reaches(WireState::done, 60));
}

TEST(WireTalk, NoiseIsMendedAndCounted) {
  WireFaults faults;
  faults.noise = 0.004;
  AtWork bench(1, faults);
  ASSERT_TRUE(bench.reaches(WireState::done, 600)) << bench.link.status().said;
  EXPECT_GT(bench.link.status().resent, 5);
  EXPECT_GT(bench.link.status().garbled, 5);
  // Nothing was lost, done twice or altered on the way.
  const auto read = readWireCode(coreText(), "XYUV");
  const double way = hotWay(read.value());
  EXPECT_NEAR(bench.machine.burnt(), way, 0.01 * way);
}

TEST(WireTalk, StopAndHoldComeThroughNoise) {
  for (unsigned seed = 1; seed <= 8; ++seed) {
    WireFaults faults;
    faults.noise = 0.01, faults.seed = seed;
    AtWork bench(22, faults);
    bench.link.hold();
    EXPECT_TRUE(bench.reaches(WireState::held, 3)) << seed;
    bench.link.stop();
    EXPECT_TRUE(bench.reaches(WireState::stopped, 3)) << seed;
    EXPECT_TRUE(bench.machine.cold());
  }
}

TEST(WireTalk, SlowAnswersOnlyTakeLonger) {
  WireFaults faults;
  faults.slow = 0.4;
  Bench bench(faults);
  ASSERT_TRUE(bench.reaches(WireState::ready, 5));
  bench.link.begin(small(), bench.now);
  ASSERT_TRUE(bench.reaches(WireState::done, 120));
  EXPECT_EQ(bench.link.status().resent, 0) << "late is not lost";
}

TEST(WireTalk, ADeadLineIsSaidAndTheMachineGoesCold) {
  WireFaults faults;
  faults.deadAfter = 25;
  AtWork bench(20, faults);
  ASSERT_TRUE(bench.reaches(WireState::lost, 40));
  EXPECT_NE(bench.link.status().said.find("nothing was heard"), std::string::npos);
  EXPECT_LT(bench.now, 28);
  const std::string sent = bench.written;
  bench.run(6);
  EXPECT_EQ(bench.written, sent) << "nothing is sent into it";
  EXPECT_STREQ(bench.machine.state(), "held");
  EXPECT_TRUE(bench.machine.cold());
  bench.link.stop(); // an order that cannot arrive changes nothing
  EXPECT_EQ(bench.link.status().state, WireState::lost);
}

TEST(WireTalk, NobodyThere) {
  Bench bench;
  bench.cut = true;
  EXPECT_TRUE(bench.reaches(WireState::lost, 6));
  EXPECT_NE(bench.link.status().said.find("no machine"), std::string::npos);
}

TEST(WireTalk, AMachineThatForgetsIsFoundOut) {
  AtWork bench(25);
  bench.machine = SimulatedWire(); // off and on again
  EXPECT_TRUE(bench.reaches(WireState::lost, 2));
  EXPECT_NE(bench.link.status().said.find("forgotten"), std::string::npos) << bench.link.status().said;
}

TEST(WireTalk, AlarmsAndRefusedLinesAreSaid) {
  WireFaults stall;
  stall.stallAt = 12;
  AtWork bench(1, stall);
  ASSERT_TRUE(bench.reaches(WireState::alarm, 60));
  EXPECT_EQ(bench.link.status().said, "stall X line 12");
  EXPECT_TRUE(bench.machine.cold());
  bench.link.begin(small(), bench.now); // not before it is cleared
  bench.run(2);
  EXPECT_EQ(bench.link.status().state, WireState::alarm);
  bench.link.clear();
  EXPECT_TRUE(bench.reaches(WireState::stopped, 2));

  WireFaults limit;
  limit.limitAt = 7;
  Bench second(limit);
  ASSERT_TRUE(second.reaches(WireState::ready, 1));
  second.link.begin(small(), second.now);
  ASSERT_TRUE(second.reaches(WireState::alarm, 60));
  EXPECT_EQ(second.link.status().said, "limit X line 7");

  WireFaults refuse;
  refuse.refuseAt = 8;
  Bench third(refuse);
  ASSERT_TRUE(third.reaches(WireState::ready, 1));
  third.link.begin(small(), third.now);
  ASSERT_TRUE(third.reaches(WireState::refused, 60));
  EXPECT_EQ(third.link.status().said, "line 8, “G1 X30 Y20 U20 V22 F600”: it will not");
  third.run(3);
  EXPECT_TRUE(third.machine.cold());
  EXPECT_EQ(third.link.status().state, WireState::refused);
}

TEST(WireTalk, TheMachineHasLimitsOfItsOwn) {
  for (const char* text : {"G0 X1300 Y10 U10 V10\nM2\n", "G0 X10 Y10 U10 V-3\nM2\n"}) {
    Bench bench;
    ASSERT_TRUE(bench.reaches(WireState::ready, 1));
    bench.link.begin(text, bench.now);
    EXPECT_TRUE(bench.reaches(WireState::alarm, 120)) << text;
    EXPECT_EQ(bench.link.status().said.substr(0, 5), "limit");
  }
  for (const char* text : {"G1 X3 F10\nM2\n", "G7\nM2\n", "M3 S400\nM2\n", "G0 Xq\nM2\n"}) {
    Bench bench;
    ASSERT_TRUE(bench.reaches(WireState::ready, 1));
    bench.link.begin(text, bench.now);
    EXPECT_TRUE(bench.reaches(WireState::refused, 20)) << text;
  }
}

TEST(WireTalk, WhatNoMachineSaysDoesNoHarm) {
  AtWork bench(2);
  const auto summed = [](const std::string& words) { return words + " ^" + instruments::sumOf(words) + "\n"; };
  for (const char* words : {"", "taken", "taken 99999999999", "done -5 -5", "at 1 2 3", "at a b c d e f g h i j",
                            "at 1 nan inf 3 4 working 5 6 7 8", "again 0", "again -1", "again 999999", "refused",
                            "hello", "hello hot-wire 1 ABCDEFGH 1 2 3 4 5", "begun", "stopped", "cleared", "what"})
    bench.link.hear(summed(words), bench.now);
  bench.link.hear(std::string(100000, 'x'), bench.now);
  bench.link.hear("\n^\n ^\n\r\n", bench.now);
  EXPECT_NE(bench.link.status().state, WireState::off);
  bench.run(1);
}

/// ITU-T V.41's sum, by the simulated machine's own loop, of the nine digits that tables of such sums are checked by:
/// 29b1 (from memory), and as Boost computes it.
TEST(WireTalk, TheSumIsTheOneItSays) {
  EXPECT_EQ(instruments::sumOf("123456789"), "29b1");
  boost::crc_ccitt_type sum;
  sum.process_bytes("where 17", 8);
  EXPECT_EQ(instruments::sumOf("where 17"), fmt::format("{:04x}", sum.checksum()));
}

/// The block less what the travelling wire burns is the core that was asked for: the slots' union by the clipping
/// library, the core by the program.
TEST(WireTravel, TheSlotsLeaveTheCore) {
  const TruePanel panel = panelOfFoam();
  const FoamCore& core = panel.foam->cores.front();
  const HotWire& wire = panel.design.wire;
  for (const Hand hand : {Hand::right, Hand::left}) {
    const auto read = readWireCode(wireCodeOf(panel, 1, hand).value(), wire.axes);
    ASSERT_TRUE(read);
    const WireTravel travel = travelOf(read.value());
    for (const bool outer : {false, true}) {
      namespace cl = ClipperLib;
      cl::Clipper clip;
      const double unit = 1e4;
      for (const BurntSlot& s : slotsUntil(travel, 1e9, shareOfEnd(core, wire, hand, outer), wire)) {
        cl::ClipperOffset offset(2, 0.001 * unit);
        cl::Path line;
        for (const Point& p : {s.from, s.to})
          line << cl::IntPoint(std::llround(p.x() * unit), std::llround(p.y() * unit));
        offset.AddPath(line, cl::jtRound, cl::etOpenRound);
        cl::Paths grown;
        offset.Execute(grown, s.wide / 2 * unit);
        clip.AddPaths(grown, cl::ptClip, true);
      }
      // Only as far as the core goes: behind its tail the foam between both ways out is still there.
      const CoreEnd& end = outer ? core.outer : core.inner;
      double tail = -1e9;
      for (const Point& p : end.outline)
        tail = std::max(tail, (core.cutFrame(outer).fromChord(p) + blockOnMachine(core, wire)).x());
      const Point low(wire.blockAft - 200, wire.blockUp - 200),
          high = Point(tail, wire.blockUp + core.block.height + 200);
      cl::Path block;
      for (const Point& p : {low, Point(high.x(), low.y()), high, Point(low.x(), high.y())})
        block << cl::IntPoint(std::llround(p.x() * unit), std::llround(p.y() * unit));
      clip.AddPath(block, cl::ptSubject, true);
      cl::Paths left;
      clip.Execute(cl::ctDifference, left, cl::pftNonZero, cl::pftNonZero);
      // The piece that lies within: its area against the core's.
      double nearest = 1e9;
      for (const cl::Path& piece : left)
        nearest = std::min(nearest, std::abs(std::abs(cl::Area(piece)) / unit / unit - end.outlineArea()));
      EXPECT_LT(nearest, 0.02 * end.outlineArea()) << outer;
    }
  }
}

TEST(WireTravel, BetweenTwoInstantsItIsBetweenThem) {
  const WireTravel travel{{0, {{0, 0}, {0, 0}}, 0, 1}, {2, {{10, 0}, {20, 0}}, 0, 2}, {4, {{10, 10}, {20, 20}}, 60, 3}};
  EXPECT_EQ(instantAt(travel, -1).at.inner.x(), 0);
  EXPECT_EQ(instantAt(travel, 1).at.outer.x(), 10);
  EXPECT_EQ(instantAt(travel, 3).at.outer.y(), 10);
  EXPECT_EQ(instantAt(travel, 99).at.inner.y(), 10);
  EXPECT_EQ(instantAt({}, 5).line, 0);
  HotWire wire;
  wire.kerf = 1, wire.kerfSpeed = 5, wire.kerfPower = 0.5, wire.heat = 60;
  EXPECT_TRUE(slotsUntil(travel, 2, 0, wire).empty()) << "cold";
  const auto slots = slotsUntil(travel, 3, 1, wire);
  ASSERT_EQ(slots.size(), 1u);
  EXPECT_NEAR(slots[0].wide, std::sqrt(0.5), 1e-12) << "10 mm/s against 5: by hand";
  EXPECT_NEAR(slots[0].to.y(), 10, 1e-12);
  wire.heat = 30; // decided so; the path burns at 60
  EXPECT_NEAR(slotsUntil(travel, 3, 1, wire)[0].wide, 2 * std::sqrt(0.5), 1e-12);
}

} // namespace
} // namespace eup
