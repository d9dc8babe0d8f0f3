// Joiners, brace slots and the strength of joints, against rotation in space, brute force and closed forms.
#include "core/described/design_file.h"
#include "core/joins/in_space.h"
#include "core/takeaway/take_away.h"
#include "support.h"
#include <cmath>
#include <numbers>
#include <rapidcheck/gtest.h>

namespace eup {
namespace {

using test::figureOf;
using test::hasFinding;
using test::panelOf;
using test::wingOf;

Design withJoiner(JoinerLine along, double dihedral) {
  Design d;
  d.inner().panel = panelOf(750, 250, 160, 40, 2, 0.3);
  d.inner().join.dihedral = {DihedralBy::angle, dihedral};
  d.inner().join.joiner.fitted = true;
  d.inner().join.joiner.along = along;
  return d;
}

std::vector<const PassHole*> holes(const Rib& rib, Passing::What what) {
  std::vector<const PassHole*> out;
  for (const PassHole& h : rib.passHoles)
    if (h.what == what) out.push_back(&h);
  return out;
}

/// Where a hole is in the finished wing.
Point3 inSpaceOf(const TrueWing& w, std::size_t panel, const Rib& rib, const PassHole& h) {
  return w.main().inSpace[panel].at(rib.frame.fromChord(h.middle), rib.t());
}

/// All holes of the right half and their mirror images lie on one straight line that runs square to flight.
RC_GTEST_PROP(Joiner, StraightThroughBothHalvesIsOneLine, ()) {
  Design d = withJoiner(JoinerLine::across, *rc::gen::inRange(-30, 90) / 10.0);
  d.inner().join.joiner.toRib = *rc::gen::inRange(2, 6);
  d.inner().join.joiner.fraction = *rc::gen::inRange(30, 55) / 100.0;
  const TrueWing w = wingOf(d);
  int bored = 0;
  double height = 0, aft = 0;
  for (const Rib& rib : w.inner().frame.ribs)
    for (const PassHole* h : holes(rib, Passing::What::joiner)) {
      const Point3 p = inSpaceOf(w, 0, rib, *h);
      if (bored++ == 0) height = p.z(), aft = p.x();
      RC_ASSERT(std::abs(p.z() - height) < 1e-9);
      RC_ASSERT(std::abs(p.x() - aft) < 1e-9);
    }
  RC_ASSERT(bored == d.inner().join.joiner.toRib);
  RC_ASSERT(figureOf(w, "joiner.bend") == 0);
}

/// With the top level the hole keeps its distance under the top where the taper is straight: an untwisted, unswept
/// panel of one section. The panel then hangs by the half of its taper, and its middle line has anhedral.
TEST(Joiner, LevelTopKeepsTheHoleUnderIt) {
  Design d = withJoiner(JoinerLine::top, 0);
  d.inner().panel = panelOf(750, 250, 160, 0);
  d.inner().panel.tipSetback = 0.3 * (250 - 160); // the joiner's fraction runs square to flight
  d.inner().sections.root = d.inner().sections.tip = nacaSection("0012");
  d.inner().join.joiner.fraction = 0.3;
  const TrueWing w = wingOf(d);
  double first = 0;
  for (const Rib& rib : w.inner().frame.ribs)
    for (const PassHole* h : holes(rib, Passing::What::joiner)) {
      if (first == 0) first = h->underTop;
      EXPECT_NEAR(h->underTop, first, 0.002) << rib.name();
    }
  // NACA 0012 is 6.003 % over the chord line at 30 % (NACA Report 460's formula); 90 mm of taper over 750 mm.
  const double slope = std::atan(0.06003 * 90 / 750);
  EXPECT_NEAR(radToDeg(figureOf(w, "joiner.levelAngle")), radToDeg(slope), 0.002) << "to have it level and straight";
  EXPECT_NEAR(figureOf(w, "joiner.bend"), -2 * slope, 4e-5) << "flat panels want it bent down";
  d.inner().join.dihedral = {DihedralBy::angle, radToDeg(slope)};
  EXPECT_NEAR(figureOf(wingOf(d), "joiner.bend"), 0, 4e-5);
}

/// Across an outer join the two legs meet at the figure's bend: directions turned in space.
TEST(Joiner, BendAtAnOuterJoinIsTheAngleInSpace) {
  Design d = withJoiner(JoinerLine::across, 2);
  d.inner().join.joiner.fitted = false;
  PanelDesign outer = d.inner();
  outer.panel = panelOf(400, 160, 110, 20, 2, 0.3);
  outer.panel.continues = true;
  outer.sections.root = outer.sections.tip;
  outer.join.dihedral = {DihedralBy::angle, 9};
  outer.join.joiner.fitted = true;
  outer.join.joiner.toRib = 3;
  d.wings[0].panels.push_back(outer);
  for (const JoinerLine along : {JoinerLine::across, JoinerLine::top, JoinerLine::middle, JoinerLine::underside}) {
    d.wings[0].panels[1].join.joiner.along = along;
    const TrueWing w = wingOf(d);
    std::vector<Point3> inside, outside;
    for (const Rib& rib : w.main().panels[0].frame.ribs)
      for (const PassHole* h : holes(rib, Passing::What::joiner)) inside.push_back(inSpaceOf(w, 0, rib, *h));
    for (const Rib& rib : w.main().panels[1].frame.ribs)
      for (const PassHole* h : holes(rib, Passing::What::joiner)) outside.push_back(inSpaceOf(w, 1, rib, *h));
    ASSERT_EQ(inside.size(), 3u);
    ASSERT_EQ(outside.size(), 3u);
    const Point3 a = inside.back() - inside.front(), b = outside.back() - outside.front();
    // At the fold both panels' axes turn about the chord line, so the two meet a little beside their ribs.
    const double apart = a.normalized().cross(outside.front() - inside.back()).norm();
    EXPECT_LT(apart, along == JoinerLine::across ? 1e-6 : 0.1) << "they meet at the join";
    EXPECT_NEAR(std::atan2(b.z(), b.y()) - std::atan2(a.z(), a.y()), figureOf(w, "panel2.joiner.bend"), 1e-6);
  }
}

TEST(Joiner, IsBoredForAndRefusedWhenItCannotBe) {
  Design d = withJoiner(JoinerLine::middle, 3);
  Joiner& j = d.inner().join.joiner;
  j.diameter = 6, j.sleeve = 7;
  const TrueWing bored = wingOf(d);
  j.fitted = false;
  const TrueWing whole = wingOf(d);
  j.fitted = true;
  const double hole = std::numbers::pi * 49 / 4, pin = std::numbers::pi * 9 / 4;
  EXPECT_NEAR(whole.inner().frame.ribs[1].cutArea - bored.inner().frame.ribs[1].cutArea, hole, 0.02 * hole);
  EXPECT_NEAR(whole.inner().frame.ribs[0].cutArea - bored.inner().frame.ribs[0].cutArea, hole + pin, 0.02 * hole);
  EXPECT_NEAR(whole.inner().frame.ribs[6].cutArea, bored.inner().frame.ribs[6].cutArea, 1e-6) << "past its end";
  j.bore = 6;
  EXPECT_TRUE(std::holds_alternative<std::vector<Finding>>(work(d))) << "all bore and no wall";
  j.bore = 0, j.sleeve = 5;
  EXPECT_TRUE(std::holds_alternative<std::vector<Finding>>(work(d)));
  j.sleeve = 60, j.diameter = 59;
  EXPECT_TRUE(hasFinding(findingsOf(wingOf(d)), "joiner.room"));
}

TEST(BraceSlots, PassTheRibsUpToTheLegsEnd) {
  Design d;
  d.inner().join.braces[0].toRib = 4;
  d.inner().join.braces[0].slots = true;
  d.inner().join.braces[0].side = BraceSide::both;
  const TrueWing w = wingOf(d);
  const TruePanel& p = w.inner();
  for (const Rib& rib : p.frame.ribs) {
    const auto slots = holes(rib, Passing::What::brace);
    ASSERT_EQ(slots.size(), rib.number < 4 ? 2u : 0u) << rib.name();
    for (const PassHole* s : slots) {
      const double slope = rib.thickness * std::abs(std::tan(p.frame.spars[0].sweep)); // over the rib, cut square
      EXPECT_NEAR(s->width,
                  d.inner().join.braces[0].thickness * p.frame.spars[0].stretch + slope + d.inner().ribs.notchFit,
                  1e-3) // it lies beside the spar, and is swept a hair otherwise
          << rib.name();
      const double off = std::abs(s->middle.x() - rib.sparX[0]);
      EXPECT_NEAR(off,
                  (d.inner().spars[0].top.width + d.inner().join.braces[0].thickness) / 2 * p.frame.spars[0].stretch,
                  0.05);
    }
    EXPECT_EQ(rib.pieces, 1) << "wood stays over and under the brace";
  }
  EXPECT_NE(figureNamed(w, "rib.2.hole.1.underTop"), nullptr);
}

/// The rib that leans lies in the plane between the halves: turned into space by the panel's frame, all of its outline
/// and every notch have y = 0.
RC_GTEST_PROP(LeaningRibs, LieInThePlaneOfTheJoin, ()) {
  Design d;
  d.inner().panel = panelOf(700, 240, 150, *rc::gen::inRange(-20, 120), *rc::gen::inRange(0, 40) / 10.0, 0.25);
  d.inner().join.dihedral = {DihedralBy::angle, *rc::gen::inRange(-40, 160) / 10.0};
  d.inner().join.rootLeans = true;
  const TrueWing w = wingOf(d);
  const Rib& root = w.inner().frame.ribs.front();
  RC_ASSERT(std::abs(root.lean - w.inner().join.gamma) < 1e-12);
  const PanelFrame& frame = w.main().inSpace[0];
  for (const Point& p : root.bare) {
    const Point3 q = root.inPanel(p);
    RC_ASSERT(std::abs(frame.at(q.x(), q.y(), q.z()).y()) < 1e-9);
  }
  // Brute force: on some of the panel's straight lines the place where y = 0, halved down from far outside both ways.
  for (const double f : {0.05, 0.3, 0.62, 0.97})
    for (const Face face : {Face::upper, Face::lower}) {
      double low = -60, high = 60;
      const auto y = [&](double t) {
        const Point p = w.inner().shape.loft.at(face, f, t);
        return frame.at(p, t).y();
      };
      for (int i = 0; i < 80; ++i) (y((low + high) / 2) < 0 ? low : high) = (low + high) / 2;
      const Point3 want = frame.at(w.inner().shape.loft.at(face, f, low), low);
      double nearest = 1e9;
      const Polyline& line = face == Face::upper ? root.upper : root.lower;
      for (std::size_t i = 1; i < line.size(); ++i) {
        const auto at = [&](const Point& p) {
          const Point3 q = root.inPanel(p);
          return frame.at(q.x(), q.y(), q.z());
        };
        const Point3 a = at(line[i - 1]), b = at(line[i]), run = b - a;
        const double share = run.squaredNorm() > 0 ? std::clamp((want - a).dot(run) / run.squaredNorm(), 0.0, 1.0) : 0;
        nearest = std::min(nearest, (want - a - run * share).norm());
      }
      RC_ASSERT(nearest < 0.01);
    }
}

TEST(LeaningRibs, AreTallerByTheirLeanAndMeetAcrossAJoin) {
  Design d;
  d.inner().panel = panelOf(500, 200, 200);
  d.inner().sections.tip = d.inner().sections.root;
  d.inner().join.dihedral = {DihedralBy::angle, 0};
  d.inner().join.braces.clear();
  PanelDesign outer = d.inner();
  outer.panel.continues = true;
  outer.join.dihedral = {DihedralBy::angle, 16};
  outer.join.rootLeans = true;
  d.wings[0].panels.push_back(outer);
  const TrueWing w = wingOf(d);
  const Rib &in = w.main().panels[0].frame.ribs.back(), &out = w.main().panels[1].frame.ribs.front(),
            &square = w.main().panels[0].frame.ribs.front();
  EXPECT_NEAR(in.lean, -degToRad(8), 1e-12);
  EXPECT_NEAR(out.lean, degToRad(8), 1e-12);
  // One section all along: what leans by φ is taller by 1 ÷ cos φ.
  EXPECT_NEAR(in.depth, square.depth / std::cos(degToRad(8)), 1e-9);
  EXPECT_NEAR(out.depth, in.depth, 1e-9);
  for (const Notch& n : out.notches)
    for (const Notch& m : square.notches)
      if (n.face == m.face) {
        EXPECT_NEAR(n.depth, m.depth / std::cos(degToRad(8)), 1e-6);
      }
  // The two lie on each other in the finished wing.
  ASSERT_EQ(in.bare.size(), out.bare.size());
  for (std::size_t i = 0; i < in.bare.size(); ++i) {
    const Point3 a = in.inPanel(in.bare[i]), b = out.inPanel(out.bare[i]);
    EXPECT_LT((w.main().inSpace[0].at(a.x(), a.y(), a.z()) - w.main().inSpace[1].at(b.x(), b.y(), b.z())).norm(), 1e-6);
  }
  d.wings[0].panels[1].join.rootLeans = false;
  EXPECT_EQ(wingOf(d).main().panels[1].frame.ribs.front().lean, 0);
}

TEST(JointStrength, PlateAndTubeAgainstHandbookForms) {
  // Section modulus of a rectangle t h² ÷ 6 and of a tube π (D⁴ − d⁴) ÷ (32 D): any handbook of strength of materials.
  EXPECT_NEAR(plateStress(12000, 2, 20, 1), 12000 / (2 * 400 / 6.0), 1e-9);
  EXPECT_NEAR(plateStress(12000, 2, 20, 2), 45, 1e-9);
  EXPECT_NEAR(tubeStress(10000, 10, 0), 10000 / 98.1748, 0.01);
  EXPECT_NEAR(tubeStress(10000, 10, 8), 10000 / 57.9624, 0.01);
}

/// The glued face in a thousand squares: each takes shear in proportion to its distance from the middle.
TEST(JointStrength, GluedFaceAgainstSummedSquares) {
  const double l = 60, h = 18, m = 9000, v = 20;
  const int n = 400;
  double polar = 0;
  for (int i = 0; i < n; ++i)
    for (int k = 0; k < n; ++k) {
      const double x = l * ((i + 0.5) / n - 0.5), y = h * ((k + 0.5) / n - 0.5);
      polar += (x * x + y * y) * l * h / n / n;
    }
  EXPECT_NEAR(glueShear(m, v, l, h), m * std::hypot(l, h) / 2 / polar + v / (l * h), 1e-4);
}

/// A rod's leg in its socket: a load that changes straight along it, and balances V and M at the mouth.
RC_GTEST_PROP(JointStrength, SocketsLoadBalances, ()) {
  const double m = *rc::gen::inRange(1000, 20000), v = *rc::gen::inRange(1, 40), l = *rc::gen::inRange(40, 300);
  RC_PRE(m > v * l / 2); // nearer than that it presses more at its mouth
  const double end = socketLoad({l}, m, v).load;
  // At the mouth it presses the other way; the two together give V, and their moment M.
  const double mouth = 2 * v / l - end;
  double force = 0, moment = 0;
  constexpr int steps = 2000;
  for (int i = 0; i < steps; ++i) {
    const double s = (i + 0.5) / steps, q = mouth + (end - mouth) * s;
    force += q * l / steps;
    moment += q * s * l * l / steps;
  }
  RC_ASSERT(std::abs(force - v) < 1e-6 * (1 + v));
  // ∫ q s ds about the mouth, with q ending at 6 M ÷ l² − 2 V ÷ l, is M.
  RC_ASSERT(std::abs(moment - m) < 1e-3 * m);
}

/// The panel inside a join is loaded beyond the mouth of its socket. Springs in a row under a stiff rod, solved for the
/// rod's place and turn by the two equations of balance.
TEST(JointStrength, ASocketInsideIsPressedAtItsMouthAndMore) {
  const double m = 9000, v = 30, l = 120;
  for (const bool beyond : {false, true}) {
    constexpr int springs = 4000;
    double n = 0, s1 = 0, s2 = 0; // Σ 1, Σ s, Σ s², s from the mouth into the socket
    for (int i = 0; i < springs; ++i) {
      const double s = l * (i + 0.5) / springs, k = l / springs;
      n += k, s1 += k * s, s2 += k * s * s;
    }
    // a + b s with Σ (a + b s) = V and Σ (a + b s) s = the moment about the mouth of a load that lies that way.
    const double moment = beyond ? -m : m, det = n * s2 - s1 * s1;
    const double a = (v * s2 - moment * s1) / det, b = (n * moment - s1 * v) / det;
    const double greatest = std::max(std::abs(a), std::abs(a + b * l));
    EXPECT_NEAR(socketLoad({l, beyond}, m, v).load, greatest, 1e-3 * greatest) << beyond;
    // On two ribs: they hold V between them, and M about the mouth.
    const double end = moment / l, mouth = v - end;
    EXPECT_NEAR(mouthForce({l, beyond}, m, v), std::abs(mouth), 1e-9) << beyond;
  }
  // Where that is: at the leg's end, unless the load acts beyond the mouth, or nearer to it than half the leg.
  EXPECT_FALSE(socketLoad({l, false}, m, v).mouth);
  EXPECT_TRUE(socketLoad({l, true}, m, v).mouth);
  EXPECT_TRUE(socketLoad({l, false}, v * l / 4, v).mouth);
  EXPECT_NEAR(socketLoad({l, false}, v * l / 4, v).load, 4 * v / l - 6 * (v * l / 4) / (l * l), 1e-9);
  EXPECT_NEAR(socketLoad({l, true}, m, v).load, 6 * m / (l * l) + 4 * v / l, 1e-9);
}

/// Further out the inside panel's socket is the one that is worked most; what follows names it.
TEST(JointStrength, AJoinFurtherOutIsMeasuredInsideToo) {
  Design d = demoDesign("tarnbrook-2000");
  Joiner& j = d.wings[0].panels[1].join.joiner;
  j.fitted = true;
  const TrueWing w = wingOf(d);
  const TruePanel& p = w.at({0, 1});
  const JoinStrength& s = p.strength.join;
  const double l = p.joiner->reachInside, press = (6 * s.moment / (l * l) + 4 * s.shear / l) / j.diameter;
  EXPECT_GE(s.bearing, press - 1e-9);
  EXPECT_GE(s.crushForce, s.moment / std::max(l, p.joiner->reach) - 1e-9);
  if (l <= p.joiner->reach) {
    EXPECT_NEAR(s.bearing, press, 1e-9);
    EXPECT_TRUE(s.pressed.beyond);
  }
}

TEST(JointStrength, MoreWoodNeverLowersAReserve) {
  Design d;
  d.inner().join.braces[0].side = BraceSide::behind;
  const double one = figureOf(wingOf(d), "brace.reserve"), glue = figureOf(wingOf(d), "brace.glue");
  d.inner().join.braces[0].side = BraceSide::both;
  EXPECT_NEAR(figureOf(wingOf(d), "brace.reserve"), 2 * one, 1e-9);
  EXPECT_NEAR(figureOf(wingOf(d), "brace.glue"), 2 * glue, 1e-9);
  d.inner().join.braces[0].over = BraceOver::faces;
  EXPECT_GT(figureOf(wingOf(d), "brace.reserve"), 2 * one);
  const double leg = figureOf(wingOf(d), "brace.gluedLeg"), height = wingOf(d).inner().join.braces.at(0).depthRoot;
  EXPECT_GT(leg, 0);
  EXPECT_LT(leg, 2000) << height;
  d.inner().join.braces[0].thickness = 0.2;
  EXPECT_TRUE(hasFinding(findingsOf(wingOf(d)), "brace.reserve"));
}

TEST(TrialAssembly, GapsOfAFaultAreItsAngleOverTheDepth) {
  const TrueWing w = wingOf(Design{});
  const double depth = w.inner().join.rootDepth;
  EXPECT_NEAR(figureOf(w, "error.bevelGap"), depth * 0.0174551, 1e-4 * depth); // tan 1°, a table of tangents
  EXPECT_NEAR(figureOf(w, "error.riseGap"), depth / w.inner().shape.loft.span(), 1e-3);
}

} // namespace
} // namespace eup
