// The talk with reading instruments, against the simulated ones, with each of their faults; the two share no code.
#include "core/exchange/instrument_link.h"
#include "reading/simulated_reader.h"
#include "terminal.h"
#include <cmath>
#include <fmt/format.h>
#include <gtest/gtest.h>

namespace eup {
namespace {

using instruments::ReaderFaults;
using instruments::ReaderKind;
using instruments::SimulatedReader;

const ReaderKind gauge{"gauge", "deg", 0.01, 0.6, true}, scales{"scales", "g", 0.01, 0.3, false};

/// An instrument and what listens to it, in time of their own.
struct Talk {
  explicit Talk(ReaderKind kind = gauge, ReaderFaults faults = {}) : reader(kind, faults) { link.greet(0); }
  SimulatedReader reader;
  InstrumentLink link;
  double now = 0;
  void go(double seconds) {
    for (const double until = now + seconds; now < until; now += 0.02) {
      if (const std::string out = link.live(now); !out.empty()) reader.hear(out, now);
      link.hear(reader.live(now), now);
    }
  }
};

TEST(InstrumentLink, ReadsAveragesAndHolds) {
  Talk t;
  t.reader.put(-2.5);
  t.go(0.3);
  EXPECT_EQ(t.link.status().kind, "gauge");
  EXPECT_EQ(t.link.status().unit, "deg");
  EXPECT_FALSE(t.link.status().mean) << "it still moves";
  t.go(8);
  ASSERT_TRUE(t.link.status().mean);
  EXPECT_NEAR(*t.link.status().mean, -2.5, 0.011);
  EXPECT_TRUE(t.link.status().still);
  EXPECT_GE(t.link.status().averaged, 12);
  t.link.hold(true);
  t.reader.put(4);
  t.go(6);
  EXPECT_NEAR(*t.link.status().mean, -2.5, 0.011) << "held";
  t.link.hold(false);
  t.go(6);
  EXPECT_NEAR(*t.link.status().mean, 4, 0.02);
}

TEST(InstrumentLink, NoiseIsAveragedAndTold) {
  Talk t(gauge, {.noise = 0.05, .seed = 4});
  t.reader.put(1);
  t.go(10);
  ASSERT_TRUE(t.link.status().mean);
  EXPECT_NEAR(*t.link.status().mean, 1, 0.06);
  EXPECT_NEAR(t.link.status().scatter, 0.05, 0.03);
}

TEST(InstrumentLink, ZeroAndTurnedRound) {
  Talk t(gauge, {.offset = 0.4});
  t.reader.put(1.5);
  t.go(8);
  EXPECT_NEAR(*t.link.status().mean, 1.9, 0.02);
  EXPECT_FALSE(t.link.turnedRound());
  EXPECT_TRUE(t.link.turning());
  t.reader.turnRound(); // reads −1.5 and its own 0.4
  t.go(8);
  const auto error = t.link.turnedRound();
  ASSERT_TRUE(error);
  EXPECT_NEAR(*error, 0.4, 0.02);
  t.reader.turnRound();
  t.go(8);
  EXPECT_NEAR(*t.link.status().mean, 1.5, 0.02);
  t.link.zeroHere();
  EXPECT_NEAR(*t.link.status().mean, 0, 1e-9);
  t.reader.put(2.5);
  t.go(8);
  EXPECT_NEAR(*t.link.status().mean, 1, 0.03);
}

TEST(InstrumentLink, DriftShows) {
  Talk t(gauge, {.drift = 0.6});
  t.reader.put(0);
  t.go(10);
  const double before = *t.link.status().mean;
  t.go(60);
  EXPECT_NEAR(*t.link.status().mean - before, 0.6, 0.05);
}

TEST(InstrumentLink, DroppedAndGarbledLinesAreCounted) {
  Talk dropped(scales, {.dropped = 0.3, .seed = 2});
  dropped.reader.put(64.3);
  dropped.go(20);
  EXPECT_EQ(dropped.link.status().state, InstrumentState::reading);
  EXPECT_NEAR(*dropped.link.status().mean, 64.3, 0.02);
  EXPECT_NEAR(dropped.link.status().missed, 60, 25);
  Talk garbled(scales, {.garbled = 0.3, .seed = 3});
  garbled.reader.put(64.3);
  garbled.go(20);
  EXPECT_EQ(garbled.link.status().state, InstrumentState::reading);
  EXPECT_NEAR(*garbled.link.status().mean, 64.3, 0.02) << "no wrong value is ever taken";
  EXPECT_NEAR(garbled.link.status().garbled, 60, 25);
}

TEST(InstrumentLink, FallsSilentAndComesBack) {
  Talk t(gauge, {.silentAfter = 5});
  t.reader.put(1);
  t.go(4.5);
  EXPECT_EQ(t.link.status().state, InstrumentState::reading);
  t.go(3);
  EXPECT_EQ(t.link.status().state, InstrumentState::silent);
  EXPECT_FALSE(t.link.status().mean) << "an old value is no reading";
  // What was held stays, and is told as held.
  Talk held(gauge, {.silentAfter = 5});
  held.reader.put(1);
  held.go(4.5);
  held.link.hold(true);
  held.go(3);
  EXPECT_EQ(held.link.status().state, InstrumentState::silent);
  EXPECT_TRUE(held.link.status().held);
  EXPECT_NEAR(*held.link.status().mean, 1, 0.05);
}

TEST(InstrumentLink, RubbishIsNoReading) {
  Talk t(gauge, {.rubbish = 1});
  t.go(4);
  EXPECT_EQ(t.link.status().state, InstrumentState::foreign);
  EXPECT_FALSE(t.link.status().mean);
  InstrumentLink link;
  link.greet(0);
  std::string noise;
  for (int i = 0; i < 200000; ++i) noise += static_cast<char>((i * 7919) % 256);
  link.hear(noise, 0.1);
  link.hear(std::string(2000000, 'x'), 0.2); // a line without an end
  EXPECT_FALSE(link.status().mean);
  // Well summed, but not its talk.
  for (const char* words : {"reads 1 nan still", "reads 1 1e999 still", "reads x 1 still", "reads 1 1",
                            "reads 1 1 asleep", "is", "reads", "", "is gauge 1 deg extra words"})
    link.hear(fmt::format("{} ^{}\n", words, instruments::sumOf(words)), 0.3);
  EXPECT_FALSE(link.status().last);
}

TEST(InstrumentLink, ALostPortStaysLost) {
  InstrumentLink link;
  link.greet(0);
  link.lose("pulled out");
  EXPECT_EQ(link.status().state, InstrumentState::lost);
  link.hear("reads 1 2 still ^0000\n", 1);
  EXPECT_EQ(link.status().state, InstrumentState::lost);
  EXPECT_EQ(link.status().said, "pulled out");
  EXPECT_FALSE(link.turnedRound());
  link.zeroHere();
  link.hold(true);
  EXPECT_FALSE(link.status().held);
}

} // namespace
} // namespace eup
