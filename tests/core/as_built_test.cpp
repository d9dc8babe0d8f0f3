// What readings come to: lines and means against sums written out; advice against wings that were made up with a known
// fault, noise and all; roll and trim against another way of adding up.
#include "chance.h"
#include "core/bench/as_built.h"
#include "core/wing/as_read.h"
#include "surface_designs.h"
#include <cmath>
#include <fmt/format.h>
#include <random>

namespace eup {
namespace {

using test::bareDesign;
using test::figureOf;
using test::wingOf;

// By hand: y = 1, 3, 4 at x = 0, 1, 3 with doubts 1, 1, 2 (weights 1, 1, 1/4). Σw 2.25, Σwx 1.75, Σwy 5, Σwxx 3.25,
// Σwxy 6: slope (2.25 × 6 − 1.75 × 5) ÷ (2.25 × 3.25 − 1.75²) = 4.75 ÷ 4.25.
TEST(AsBuilt, LineThroughByHand) {
  const Sample samples[] = {{0, 1, 1}, {1, 3, 1}, {3, 4, 2}};
  const auto line = lineThrough(samples);
  ASSERT_TRUE(line);
  EXPECT_NEAR(line->slope, 4.75 / 4.25, 1e-12);
  EXPECT_NEAR(line->atZero, (5 - 1.75 * 4.75 / 4.25) / 2.25, 1e-12);
  EXPECT_NEAR(line->slopeDoubt(), std::sqrt(2.25 / 4.25) * line->scatter, 1e-12);
  EXPECT_NEAR(line->doubtAt(0), std::sqrt(3.25 / 4.25) * line->scatter, 1e-12);
  EXPECT_GE(line->scatter, 1);
  // Far from nought nothing is lost, and where all lies at one place there is no line.
  const Sample far[] = {{1e6, 1, 1}, {1e6 + 1, 3, 1}, {1e6 + 3, 4, 2}};
  EXPECT_NEAR(lineThrough(far)->slope, 4.75 / 4.25, 1e-9);
  const Sample one[] = {{5, 1, 1}, {5, 2, 1}};
  EXPECT_FALSE(lineThrough(one));
  EXPECT_FALSE(lineThrough({}));
}

// Doubts are what they say: of many lines through noisy readings about two thirds come within one.
TEST(AsBuilt, DoubtsAreHonest) {
  std::mt19937 random(5);
  std::normal_distribution<double> noise(0, 0.2);
  int within = 0;
  constexpr int tries = 2000;
  for (int i = 0; i < tries; ++i) {
    std::vector<Sample> samples;
    for (const double x : {0.0, 100.0, 250.0, 400.0, 600.0, 700.0})
      samples.push_back({x, 1 + 0.002 * x + noise(random), 0.2});
    const auto line = lineThrough(samples);
    within += std::abs(line->slope - 0.002) < line->slopeDoubt() ? 1 : 0;
  }
  // Doubts that only grow with the scatter take in somewhat more than 68 %.
  EXPECT_GT(within, 0.66 * tries);
  EXPECT_LT(within, 0.84 * tries);
}

TEST(AsBuilt, MeanByHand) {
  const Sample samples[] = {{0, 10, 1}, {0, 13, 2}};
  const auto mean = meanOf(samples);
  ASSERT_TRUE(mean);
  EXPECT_NEAR(mean->mean, (10 + 13 / 4.0) / 1.25, 1e-12);
  EXPECT_NEAR(mean->deviation, 3 / std::sqrt(2.0), 1e-12);
  EXPECT_NEAR(mean->doubt, std::sqrt(1 / 1.25) * std::sqrt(9 / 5.0), 1e-12); // χ² is 9 ÷ (1 + 4)
  EXPECT_FALSE(meanOf({}));
}

// Held against it by half as much again; then by what the try before took.
TEST(AsBuilt, SpringsBack) {
  EXPECT_NEAR(holdAgainst(2, std::nullopt).hold, -3, 1e-12);
  EXPECT_NEAR(holdAgainst(-2, std::nullopt).hold, 3, 1e-12);
  const HeldOver again = holdAgainst(0.5, 2.0); // held 3, of which 1.5 stayed
  EXPECT_NEAR(again.took, 0.5, 1e-12);
  EXPECT_NEAR(again.hold, -1, 1e-12);
  EXPECT_NEAR(holdAgainst(2, 2.0).took, 0.2, 1e-12); // took nothing: no more than five times the error
}

/// A short wing of eight ribs a side, quick to work out.
Design shortWing() {
  Design d = bareDesign();
  PanelDesign& p = d.inner();
  p.panel = test::panelOf(600, 200, 150, 10, 2);
  p.spars = {Spar{}};
  p.trailingEdge.kind = TrailingEdgeKind::wedge, p.trailingEdge.width = 18, p.trailingEdge.material = "balsa-160";
  p.ribs.count = 8;
  p.join.dihedral = {DihedralBy::rise, 40};
  return d;
}

/// What a panel of straight lines, twisted at its tip, is twisted farther in: the tip's edge moves by tip chord ×
/// angle, and places between move in proportion to the span; the angle there is that over the chord.
double shareOfTwist(const TruePanel& p, double t) {
  const double span = p.shape.loft.span(), tip = p.shape.loft.frameAt(span).chord;
  return t / span * tip / p.shape.loft.frameAt(t).chord;
}

enum class Cause { twist, bow, notch, rib, rise, mass, nothing };

/// What a reader with a steady hand notes of a wing that has one fault.
struct MadeUp {
  Cause cause = Cause::nothing;
  Hand hand = Hand::right;
  int rib = 4;
  double size = 0; ///< degrees nose up at the tip, or mm, or g
  PanelState state = PanelState::onBoard;
};

std::vector<BenchReading> readingsOf(const TrueWing& w, const MadeUp& truth, std::mt19937& random) {
  std::vector<BenchReading> out;
  const auto noisy = [&](ReadKind kind, double value) {
    return value + std::normal_distribution<double>(0, usualDoubt(kind) * 0.5)(random);
  };
  const TruePanel& p = w.inner();
  const double span = p.shape.loft.span(), offset = std::uniform_real_distribution<double>(-2, 2)(random);
  for (const Hand hand : {Hand::right, Hand::left}) {
    const bool faulty = hand == truth.hand;
    const auto put = [&](ReadKind kind, int rib, double value) {
      out.push_back({kind, 0, 0, hand, rib, noisy(kind, value), 0, "made up", "2026-11-20 19:00", {}});
    };
    for (const Rib& rib : p.frame.ribs) {
      const double t = std::clamp(rib.t(), 0.0, span);
      const double twist = faulty && truth.cause == Cause::twist ? truth.size * shareOfTwist(p, t) : 0;
      put(ReadKind::incidence, rib.number, offset - radToDeg(p.shape.loft.frameAt(t).washout) + twist);
      if (rib.number == 1 || rib.number == 8) continue;
      const bool here = faulty && rib.number == truth.rib;
      for (int again = 0; again < 3; ++again) {
        put(ReadKind::straightedge, rib.number, here && truth.cause == Cause::rib ? truth.size : 0);
        put(ReadKind::bow, rib.number, here && truth.cause == Cause::bow ? truth.size : 0);
        for (const Notch& n : rib.notches)
          if (n.spar == 0 && n.face == Face::upper)
            put(ReadKind::notch, rib.number, n.underCover + (here && truth.cause == Cause::notch ? truth.size : 0));
      }
    }
    const Point3 nose = p.frame.ribs.back().inPanel({0, 0});
    const double z = w.main().inSpace[0].at(nose.x(), nose.y(), nose.z()).z();
    for (int again = 0; again < 3; ++again) {
      put(ReadKind::rise, 8, z + (faulty && truth.cause == Cause::rise ? truth.size : 0));
      put(ReadKind::mass, 0, 80 + (faulty && truth.cause == Cause::mass ? truth.size : 0));
    }
  }
  return out;
}

void setState(Design& d, PanelState state) {
  for (const char* hand : {"right", "left"}) {
    if (state != PanelState::onBoard)
      d.records.steps.push_back({fmt::format("1.1.{}.off", hand), {}, "2026-11-19 20:00", 0, false, {}});
    if (state == PanelState::closed)
      d.records.steps.push_back({fmt::format("1.1.{}.cover", hand), {}, "2026-11-19 21:00", 0, false, {}});
  }
}

// In two hundred wings with one fault each it is found, of the right hand, and every remedy goes the right way.
TEST(AsBuilt, AdviceFindsTheCauseAndGoesTheRightWay) {
  test::Chance chance(33);
  std::mt19937 random(7);
  const Design plain = shortWing();
  const TrueWing decided = wingOf(plain);
  for (int i = 0; i < 200; ++i) {
    MadeUp truth;
    truth.cause = static_cast<Cause>(chance.number(6));
    truth.hand = chance.once(2) ? Hand::left : Hand::right;
    truth.rib = 2 + chance.number(6);
    truth.state = static_cast<PanelState>(chance.number(3));
    const double sign = chance.once(2) ? -1 : 1;
    const bool small = truth.cause == Cause::notch || truth.cause == Cause::rib;
    truth.size = sign * (small ? chance.between(0.5, 2) : chance.between(1.2, 4));
    if (truth.cause == Cause::rise || truth.cause == Cause::mass) truth.size = sign * chance.between(4, 9);
    Design d = plain;
    d.records.readings = readingsOf(decided, truth, random);
    setState(d, truth.state);
    const TrueWing w = wingOf(d);
    const std::string hand = name(truth.hand), other = name(truth.hand == Hand::right ? Hand::left : Hand::right);
    const bool more = truth.size > 0;
    std::string key, way;
    switch (truth.cause) {
    case Cause::twist: // more nose up: too little washout; its trailing edge has to come up
      key = fmt::format("built.twist.{}.{}", more ? "little" : "much", hand);
      EXPECT_GT(figureOf(w, "built.edge." + hand) * truth.size, 0) << i;
      EXPECT_NEAR(figureOf(w, "built.edge." + hand), 150 * std::sin(degToRad(truth.size)), 150 * degToRad(0.6)) << i;
      way = truth.state == PanelState::onBoard ? (more ? "higher" : "lower") : (more ? " up" : " down");
      if (truth.state != PanelState::onBoard) {
        EXPECT_GT(figureOf(w, "built.hold." + hand) * truth.size, 0);
      }
      // The half that is more nose up lifts more: the wing rolls to the other side; its own aileron would stand up.
      EXPECT_GT(figureOf(w, "built.roll") * truth.size * (truth.hand == Hand::right ? 1 : -1), 0) << i;
      break;
    case Cause::bow:
      key = fmt::format("built.bow.{}.{}", more ? "over" : "under", hand), way = more ? "forward" : "aft";
      break;
    case Cause::notch:
      key = fmt::format("built.notch.{}.{}", more ? "over" : "under", hand), way = more ? "shim" : "Deepen";
      break;
    case Cause::rib:
      key = fmt::format("built.gap.{}.{}", more ? "over" : "under", hand), way = more ? "Shave" : "strip";
      break;
    case Cause::rise:
      key = fmt::format("built.rise.{}.{}", more ? "over" : "under", hand), way = more ? "Lower" : "Raise";
      break;
    case Cause::mass:
      key = "built.mass." + (more ? other : hand), way = "tip";
      break;
    case Cause::nothing:
      break;
    }
    bool found = false;
    for (const Finding& f : findingsOf(w)) {
      if (f.stage != Stage::build) continue;
      if (f.key == key) {
        found = true;
        EXPECT_NE(f.remedy.find(way), std::string::npos) << i << ' ' << key << ": " << f.remedy;
        if (truth.cause != Cause::mass && truth.cause != Cause::rise && truth.cause != Cause::twist) {
          EXPECT_EQ(f.rib, truth.rib) << i << ' ' << key;
        }
      } else if (f.severity != Severity::note) {
        ADD_FAILURE() << i << " cries wolf: " << f.key << ", true is " << key;
      }
    }
    EXPECT_TRUE(found) << i << ' ' << key << ' ' << truth.size;
  }
}

// Root and tip alone tell the washout; a rib between them that was left flat, as the tip was, does not speak against
// it.
TEST(AsBuilt, TheRootCounts) {
  Design d = shortWing();
  for (const auto& [rib, reads] : {std::pair(1, -0.89), std::pair(5, -0.89), std::pair(8, -0.92)})
    d.records.readings.push_back({ReadKind::incidence, 0, 0, Hand::right, rib, reads, 0.05, {}, {}, {}});
  const TrueWing w = wingOf(d);
  EXPECT_NEAR(radToDeg(figureOf(w, "built.ends.right")), 0.03, 1e-9);
  EXPECT_NEAR(radToDeg(figureOf(w, "built.twist.right")), 0.03, 0.02);
  EXPECT_NEAR(figureOf(w, "built.edge.right"), 150 * std::sin(degToRad(1.97)), 0.06);
  // Of two panels too, each of which has one of them alone.
  Design two = shortWing();
  two.wings[0].panels.push_back(two.inner());
  two.at({0, 1}).number = 1, two.at({0, 1}).panel.continues = true;
  two.records.readings = {{ReadKind::incidence, 0, 0, Hand::left, 1, 1.5, 0.05, {}, {}, {}},
                          {ReadKind::incidence, 0, 1, Hand::left, 16, -0.25, 0.05, {}, {}, {}}};
  EXPECT_NEAR(radToDeg(figureOf(wingOf(two), "built.ends.left")), 1.75, 1e-9);
}

// A wing that is as decided is let be.
TEST(AsBuilt, LeavesATrueWingAlone) {
  std::mt19937 random(11);
  const Design plain = shortWing();
  const TrueWing decided = wingOf(plain);
  int cried = 0;
  for (int i = 0; i < 20; ++i) {
    Design d = plain;
    d.records.readings = readingsOf(decided, {}, random);
    const TrueWing w = wingOf(d);
    EXPECT_TRUE(test::hasFinding(findingsOf(w), "built.twist.fine.right") ||
                test::hasFinding(findingsOf(w), "built.twist.fine.left"));
    for (const Finding& f : findingsOf(w)) cried += f.stage == Stage::build && f.severity != Severity::note ? 1 : 0;
  }
  EXPECT_LE(cried, 4); // two in a hundred readings lie beyond twice their doubt
}

/// By Simpson's rule in place of midpoints.
template <class F> double simpson(F f, double to) {
  constexpr int steps = 400;
  double sum = f(0.0) + f(to);
  for (int i = 1; i < steps; ++i) sum += (i % 2 ? 4 : 2) * f(to * i / steps);
  return sum * to / steps / 3;
}

// Roll and trim of a twist difference, added up another way over the trapezium that the panel is.
TEST(AsBuilt, WhatItDoesInFlight) {
  Design d = test::withAileron();
  const TrueWing plain = wingOf(d);
  const PanelLoft& loft = plain.inner().shape.loft;
  const double span = loft.span(), off = 2; // degrees, right more nose up at its tip
  for (const Hand hand : {Hand::right, Hand::left})
    for (const int rib : {1, 8, 15}) {
      const double t = std::clamp(plain.inner().rib(rib).t(), 0.0, span);
      const double reads =
          -radToDeg(loft.frameAt(t).washout) + (hand == Hand::right ? off * shareOfTwist(plain.inner(), t) : 0);
      d.records.readings.push_back({ReadKind::incidence, 0, 0, hand, rib, reads, 0.1, {}, {}, {}});
    }
  const TrueWing w = wingOf(d);
  const auto chord = [&](double t) { return 240 + (160 - 240) * t / span; };
  const double turns = simpson([&](double t) { return 160 * degToRad(off) * t / span * t; }, span),
               damps = simpson([&](double t) { return chord(t) * t * t; }, span);
  EXPECT_NEAR(figureOf(w, "built.roll"), turns / (2 * damps) * 10000, 0.002 * turns / (2 * damps) * 10000);
  const SurfaceMade& aileron = w.inner().surfaces[0];
  const double moves = simpson([&](double t) { return chord(t) * t; }, aileron.line.to) -
                       simpson([&](double t) { return chord(t) * t; }, aileron.line.from);
  const double trim = turns / (2 * aileron.effect * moves);
  EXPECT_NEAR(figureOf(w, "built.trim"), trim, 0.01 * trim); // right up: it is the right half that lifts more
  EXPECT_GT(figureOf(w, "built.trim"), 0);
  EXPECT_NEAR(figureOf(w, "built.twist.right"), degToRad(1.5 - off), 1e-6);
  EXPECT_NEAR(figureOf(w, "built.twist.left"), degToRad(1.5), 1e-6);
}

// Readings of an evening stand together; an older evening's tell what the try between took.
TEST(AsBuilt, EveningsAreKeptApart) {
  Design d = shortWing();
  const TrueWing plain = wingOf(d);
  const PanelLoft& loft = plain.inner().shape.loft;
  setState(d, PanelState::open);
  const auto evening = [&](double twist, const char* at) {
    for (const int rib : {1, 3, 5, 8}) {
      const double t = std::clamp(plain.inner().rib(rib).t(), 0.0, loft.span());
      d.records.readings.push_back({ReadKind::incidence,
                                    0,
                                    0,
                                    Hand::right,
                                    rib,
                                    0.7 - radToDeg(loft.frameAt(t).washout) + twist * shareOfTwist(plain.inner(), t),
                                    0.05,
                                    {},
                                    at,
                                    {}});
    }
  };
  evening(2, "2026-11-18 19:00");
  EXPECT_NEAR(figureOf(wingOf(d), "built.hold.right"), 150 * std::sin(degToRad(3)), 1e-6);
  evening(0.5, "2026-11-19 20:00"); // held three degrees over a night: one and a half stayed
  const TrueWing w = wingOf(d);
  EXPECT_NEAR(figureOf(w, "built.edge.right"), 150 * std::sin(degToRad(0.5)), 1e-6);
  EXPECT_NEAR(figureOf(w, "built.hold.right"), 150 * std::sin(degToRad(1)), 1e-6);
}

// A hard trailing edge is replaced: as stiff fore and aft, by I = h w³ ÷ 12 on both.
TEST(AsBuilt, HardEdgesAreReplaced) {
  Design d = shortWing();
  d.inner().trailingEdge.material = "spruce";
  setState(d, PanelState::open);
  std::mt19937 random(3);
  d.records.readings = readingsOf(wingOf(shortWing()), {Cause::twist, Hand::left, 4, 3, {}}, random);
  const TrueWing w = wingOf(d);
  const double wide = figureOf(w, "built.newEdge.left.width");
  const Material &spruce = shippedTables().named("spruce"), &balsa = shippedTables().named("balsa-190");
  EXPECT_NEAR(balsa.modulus * std::pow(wide, 3), spruce.modulus * std::pow(18, 3), 1);
  EXPECT_EQ(figureNamed(w, "built.newEdge.right.width"), nullptr);
  for (const Finding& f : findingsOf(w))
    if (f.key == "built.twist.little.left") {
      EXPECT_NE(f.remedy.find("scarf"), std::string::npos);
    }
}

// A doubt of next to nothing, readings beyond all sense: numbers come out, and are told.
TEST(AsBuilt, SurvivesReadingsBeyondSense) {
  Design d = shortWing();
  for (const double value : {1e5, -1e5, 0.0})
    for (const double doubt : {1e-300, 1e4, 0.0})
      for (std::size_t kind = 0; kind < readKindChoices.size(); ++kind)
        for (const int rib : {1, 4, 8})
          for (const Hand hand : {Hand::right, Hand::left})
            d.records.readings.push_back({static_cast<ReadKind>(kind), 0, 0, hand, rib, value, doubt, {}, {}, {}});
  const TrueWing w = wingOf(d);
  for (const Figure& f : figuresOf(w, Stage::build)) {
    EXPECT_TRUE(std::isfinite(f.value)) << f.key;
    EXPECT_FALSE(told(f.value, f.quantity, LengthUnit::mm).empty());
  }
}

// A reading of a rib that the wing has not is kept, and said.
TEST(AsBuilt, ReadingsWithoutAPlace) {
  Design d = shortWing();
  d.records.readings = {{ReadKind::incidence, 0, 0, Hand::right, 99, 1, 0, {}, {}, {}},
                        {ReadKind::incidence, 3, 7, Hand::left, 2, 1, 0, {}, {}, {}},
                        {ReadKind::bow, 0, 0, Hand::right, 0, 1, 0, {}, {}, {}}};
  const TrueWing w = wingOf(d);
  EXPECT_EQ(withoutPlace(w).size(), 3U);
  EXPECT_TRUE(test::hasFinding(findingsOf(w), "built.noPlace"));
  EXPECT_TRUE(figuresOf(w, Stage::build).empty());
}

} // namespace
} // namespace eup
