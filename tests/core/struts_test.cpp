// Struts and wires against statics done by hand, a propped beam of the handbooks, and Euler's strut.
#include "core/described/decisions.h"
#include "core/edit/wing_edit.h"
#include "core/takeaway/piece_list.h"
#include "core/wing/holding.h"
#include "support.h"

namespace eup {
namespace {

using test::figureOf;
using test::hasFinding;
using test::wingOf;

/// A plain wing of one stiffness under an even lift, with a strut.
Design strutted(double out) {
  Design d = test::bareDesign();
  d.inner().spars = {Spar{}};
  d.inner().panel = test::panelOf(600, 200, 200);
  d.inner().sections.root.naca = d.inner().sections.tip.naca = "0012";
  d.inner().join.dihedral = {DihedralBy::angle, 0};
  d.flying.shape = LoadShape::chord;
  d.flying.kind = typedFactors;
  d.flying.loadFactor = 5, d.flying.pushFactor = 2;
  d.flying.relief = false;
  d.flying.mass = 1000;
  Strut s;
  s.out = out;
  s.footAft = 60, s.footRight = 0, s.footUp = -200;
  d.wings.front().struts = {s};
  return d;
}

const HeldStrut& only(const TrueWing& w) {
  EXPECT_EQ(w.main().held.struts.size(), 1u);
  return w.main().held.struts.front();
}

double forceUnder(const HeldStrut& s, LoadCase::What what) {
  for (const StrutForce& f : s.forces)
    if (f.load == what) return f.force;
  ADD_FAILURE() << "no such load";
  return 0;
}

// On pins it is statics alone: the pull times its arm about the pins is the lift's moment.
TEST(Struts, OnPinsCarryTheMomentByStatics) {
  Design d = strutted(400);
  d.wings.front().hinged = true;
  const TrueWing w = wingOf(d);
  const HeldStrut& s = only(w);
  // Top on the spar at 30 % of 200: (60, 400, 0); foot 200 below the middle.
  const double length = std::hypot(400.0, 200.0), lift = 5 * 1.0 * 9.80665 / 2,
               pull = lift * 300 / (400 * 200 / length);
  EXPECT_NEAR(s.length, length, 0.5);
  EXPECT_NEAR(forceUnder(s, LoadCase::What::pull), pull, 0.002 * pull);
  EXPECT_NEAR(forceUnder(s, LoadCase::What::push), -0.4 * pull, 0.002 * pull);
  for (const LoadCase& c : w.main().loads) EXPECT_NEAR(c.load.moment(0), 0, 1e-6 * lift * 300);
  const SpanLoad& up = w.main().loads.front().load;
  EXPECT_NEAR(up.moment(450), lift / 600 * 150 * 150 / 2, 1e-6 * lift * 300) << "beyond it nothing changes";
  EXPECT_NEAR(up.pressed(100), pull * 400 / length, 0.002 * pull) << "the spar is pressed inside it";
  EXPECT_EQ(up.pressed(450), 0);
  EXPECT_NEAR(figureOf(w, "struts.relief"), 1, 1e-9);
  EXPECT_NEAR(radToDeg(s.toSpar), radToDeg(std::atan2(200, 400)), 0.1);
}

// A rigid prop under the end of an even beam carries 3/8 of its load (any table of beams; from memory).
TEST(Struts, UnderTheTipAreAPropOfTheHandbooks) {
  Design d = strutted(600);
  Strut& s = d.wings.front().struts.front();
  s.footRight = 600, s.footUp = -40, s.shape = CapShape::rod, s.depth = 40, s.material = "carbon-tube";
  const TrueWing w = wingOf(d);
  const double lift = 5 * 1.0 * 9.80665 / 2;
  EXPECT_NEAR(forceUnder(only(w), LoadCase::What::pull), 3.0 / 8 * lift, 0.004 * lift);
  EXPECT_NEAR(w.main().loads.front().load.moment(0), lift * 600 / 8, 0.01 * lift * 600);
}

TEST(Struts, BuckleAsEulerSays) {
  Design d = strutted(400);
  d.wings.front().hinged = true;
  d.flying.loadFactor = 1, d.flying.pushFactor = 4;
  Strut& s = d.wings.front().struts.front();
  s.width = 6, s.depth = 2;
  const TrueWing w = wingOf(d);
  const HeldStrut& held = only(w);
  ASSERT_TRUE(held.buckles);
  EXPECT_EQ(held.worst.load, LoadCase::What::push);
  const double holds = pi * pi * 10800 * (6 * 8.0 / 12) / (held.length * held.length);
  EXPECT_NEAR(held.holds, holds, 1e-6 * holds);
  EXPECT_NEAR(held.reserve, holds / -held.worst.force, 1e-6 * held.reserve);
  EXPECT_NEAR(figureOf(w, "strut.1.reserve"), held.reserve, 1e-9);
}

TEST(Struts, WiresHangSlackInsteadOfBeingPressed) {
  Design d = strutted(400);
  Strut& s = d.wings.front().struts.front();
  s.kind = StrutKind::wire, s.shape = CapShape::rod, s.depth = 0.5, s.material = "music-wire";
  const TrueWing held = wingOf(d);
  EXPECT_GT(forceUnder(only(held), LoadCase::What::pull), 0);
  EXPECT_EQ(forceUnder(only(held), LoadCase::What::push), 0);
  Design free = d;
  free.wings.front().struts.clear();
  const TrueWing bare = wingOf(free);
  EXPECT_NEAR(held.main().loads[1].load.moment(0), bare.main().loads[1].load.moment(0), 1e-9);
  EXPECT_LT(std::abs(held.main().loads[0].load.moment(0)), std::abs(bare.main().loads[0].load.moment(0)));
  d.wings.front().hinged = true; // on pins nothing is left when they hang slack
  EXPECT_TRUE(hasFinding(findingsOf(wingOf(d)), "strut.falls"));
  // Wires above and below hold it either way.
  Strut above = s;
  above.footUp = 200;
  d.wings.front().struts.push_back(above);
  const TrueWing two = wingOf(d);
  EXPECT_FALSE(hasFinding(findingsOf(two), "strut.falls"));
  EXPECT_GT(forceUnder(two.main().held.struts[1], LoadCase::What::push), 0);
  EXPECT_EQ(forceUnder(two.main().held.struts[1], LoadCase::What::pull), 0);
}

TEST(Struts, RelieveTheSparAndAddToItsPressure) {
  Design d = strutted(350);
  const TrueWing with = wingOf(d);
  d.wings.front().struts.clear();
  const TrueWing without = wingOf(d);
  EXPECT_GT(with.inner().strength.bending.spars[0].worstReserve,
            without.inner().strength.bending.spars[0].worstReserve);
  EXPECT_LT(with.main().tipDeflection, without.main().tipDeflection);
  EXPECT_GT(figureOf(with, "struts.relief"), 0.2);
  // Taken together by hand at the root of the first spar: bending of two caps, and pressure over their area.
  const SparStrength& s = with.inner().strength.bending.spars[0];
  const SpanLoad& load = with.inner().strength.bending.load;
  const Cap& cap = with.design.inner().spars[0].top;
  const double area = 2 * cap.width * cap.depth, depth = s.root.depth(),
               inertia = cap.width * (depth * depth * depth - std::pow(depth - 2 * cap.depth, 3)) / 12;
  EXPECT_NEAR(s.upper->stress, std::abs(load.moment(0)) * depth / 2 / inertia + load.pressed(0) / area,
              1e-3 * s.upper->stress);
}

TEST(Struts, AreParts) {
  const TrueWing w = wingOf(strutted(400));
  const HeldStrut& held = only(w);
  bool found = false;
  for (const PieceLine& l : pieceList(w))
    if (l.part->what() == Part::What::strut) {
      found = true;
      EXPECT_EQ(std::pair(l.right, l.left), std::pair(1, 1));
      EXPECT_NEAR(l.part->length, held.length, 1e-9);
      EXPECT_NEAR(l.gramsEach, held.length * 8 * 4 * 400e-6, 1e-6);
      EXPECT_NEAR(l.centre.z(), (held.place.top.z() - 200) / 2, 1e-6);
    }
  EXPECT_TRUE(found);
}

TEST(Struts, ThatHoldNothingAreSaid) {
  Design d = strutted(400);
  d.wings.front().struts.front().spar = 3;
  const TrueWing w = wingOf(d);
  EXPECT_TRUE(w.main().held.struts.empty());
  EXPECT_TRUE(hasFinding(findingsOf(w), "strut.nowhere"));
  d = strutted(400);
  d.wings.front().struts.front().footUp = 3;
  EXPECT_TRUE(hasFinding(findingsOf(wingOf(d)), "strut.flat"));
}

/// Two wings of one stiffness, one over the other, an upright strut between them; the upper carries nearly all.
Design biplane() {
  Design d = strutted(400);
  d.wings.front().struts.clear();
  Wing lower = d.wings.front();
  lower.kind = WingKind::second, lower.name = "lower", lower.up = -200, lower.carries = 0.01;
  Strut s;
  s.out = 400, s.foot = Footing::wing, s.footWing = 2, s.footOut = 400;
  s.shape = CapShape::rod, s.depth = 40, s.material = "carbon-tube"; // hardly gives
  d.wings.front().struts = {s};
  d.wings.push_back(lower);
  return d;
}

// Both spars end up bent alike at the strut: by the handbooks' cantilever under an even load, w = q a² (6L² − 4La + a²)
// ÷ 24 EI, and under a force at a, a³ ÷ 3 EI.
TEST(InterplaneStruts, ShareTheLoadOfTwoWings) {
  const TrueWing w = wingOf(biplane());
  const HeldStrut& s = only(w);
  const double whole = 5 * 9.80665 / 2, q = whole * 0.99 / 600, a = 400, l = 600,
               force = q * a * a * (6 * l * l - 4 * l * a + a * a) / 24 / (2 * a * a * a / 3);
  EXPECT_NEAR(s.length, 200, 1e-9);
  EXPECT_NEAR(forceUnder(s, LoadCase::What::pull), force, 0.005 * force) << "pulled: the upper wing goes up more";
  EXPECT_NEAR(forceUnder(s, LoadCase::What::push), -0.4 * force, 0.005 * force);
  const auto root = [&](int wing) { return w.wing(wing).loads.front().load.moment(0); };
  EXPECT_NEAR(root(0), whole * 300 - force * a, 0.01 * whole * 300);
  EXPECT_NEAR(root(1), 0.01 * whole * 300 + force * a, 0.01 * whole * 300) << "what one is spared the other takes";
  EXPECT_NEAR(figureOf(w, "strut.1.toSpar"), pi / 2, 1e-6);
  EXPECT_NEAR(figureOf(w, "strut.1.toFootSpar"), pi / 2, 1e-6);
  ASSERT_NE(figureNamed(w, "struts.relief"), nullptr);
  ASSERT_NE(figureNamed(w, "wing2.struts.relief"), nullptr);
  EXPECT_LT(figureNamed(w, "wing2.struts.relief")->value, 0) << "the lower wing is given to bear";
  for (const std::string& path : figureNamed(w, "wing2.struts.relief")->decisions)
    EXPECT_TRUE(decisionAt(w.design, path)) << path;
}

// From which wing it is told is one.
TEST(InterplaneStruts, AreTheSameFromEitherEnd) {
  Design up = biplane();
  up.wings[0].struts[0].out = 420, up.wings[0].struts[0].footOut = 350;
  Design down = up;
  std::swap(down.wings[1].struts, down.wings[0].struts);
  Strut& s = down.wings[1].struts.front();
  s.footWing = 1, s.out = 350, s.footOut = 420;
  const TrueWing a = wingOf(up), b = wingOf(down);
  const HeldStrut &one = a.wing(0).held.struts.front(), &other = b.wing(1).held.struts.front();
  EXPECT_NEAR(one.length, other.length, 1e-9);
  for (std::size_t i = 0; i < one.forces.size(); ++i) EXPECT_NEAR(one.forces[i].force, other.forces[i].force, 1e-9);
  EXPECT_NEAR(one.toSpar, other.toFootSpar, 1e-9);
  for (const int wing : {0, 1})
    EXPECT_NEAR(a.wing(wing).loads[0].load.moment(100), b.wing(wing).loads[0].load.moment(100), 1e-6);
}

// On pins a wing that only a strut holds is statics: its lift's moment is the strut's.
TEST(InterplaneStruts, HoldAWingOnPins) {
  Design d = biplane();
  d.wings[1].hinged = true, d.wings[1].carries = 0.4;
  const TrueWing w = wingOf(d);
  const double lift = 0.4 * 5 * 9.80665 / 2;
  EXPECT_NEAR(forceUnder(only(w), LoadCase::What::pull), -lift * 300 / 400, 1e-4 * lift) << "pressed from below";
  EXPECT_NEAR(w.wing(1).loads.front().load.moment(0), 0, 1e-6 * lift * 300);
  EXPECT_FALSE(hasFinding(findingsOf(w), "strut.falls"));
  // Both on pins, made fast to each other alone: both turn.
  d.wings[0].hinged = true;
  EXPECT_TRUE(hasFinding(findingsOf(wingOf(d)), "strut.falls"));
  // A strut from one of them to the fuselage holds both.
  Strut toFuselage;
  toFuselage.out = 300, toFuselage.footUp = -200, toFuselage.footRight = 20;
  d.wings[0].struts.push_back(toFuselage);
  EXPECT_FALSE(hasFinding(findingsOf(wingOf(d)), "strut.falls"));
}

// On a rib half way between its faces; a sheet panel has stations for it.
TEST(InterplaneStruts, HoldRibsToo) {
  Design d = biplane();
  d.wings[0].panels[0].ribs.rule = d.wings[1].panels[0].ribs.rule = RibRule::count;
  d.wings[0].panels[0].ribs.count = d.wings[1].panels[0].ribs.count = 7; // 100 apart
  Strut& s = d.wings[0].struts[0];
  s.on = s.footOn = StrutOn::rib, s.rib = s.footRib = 5, s.chord = s.footChord = 0.3; // where the spar is
  const TrueWing onRibs = wingOf(d), onSpars = wingOf(biplane());
  EXPECT_NEAR(only(onRibs).place.top.y(), 400, 1e-9);
  EXPECT_NEAR(only(onRibs).place.top.x(), 60, 0.2);
  EXPECT_NEAR(forceUnder(only(onRibs), LoadCase::What::pull), forceUnder(only(onSpars), LoadCase::What::pull), 0.01);
  s.chord = 0.7;
  const TrueWing aft = wingOf(d);
  EXPECT_NEAR(only(aft).place.top.x(), 140, 0.2);
  s.rib = 9;
  EXPECT_TRUE(hasFinding(findingsOf(wingOf(d)), "strut.nowhere"));
  s.rib = 5;
  for (Wing& wing : d.wings) wing.panels[0].built = Built::sheet, wing.panels[0].sheet.thickness = 30;
  const TrueWing ofSheet = wingOf(d);
  EXPECT_EQ(ofSheet.main().held.struts.size(), 1u);
  EXPECT_FALSE(hasFinding(findingsOf(ofSheet), "strut.nowhere"));
}

TEST(InterplaneStruts, ThatEndNowhereAreSaid) {
  for (const int wing : {1, 3}) {
    Design d = biplane();
    d.wings[0].struts[0].footWing = wing;
    const TrueWing w = wingOf(d);
    EXPECT_TRUE(w.main().held.struts.empty()) << wing;
    EXPECT_TRUE(hasFinding(findingsOf(w), "strut.nowhere")) << wing;
  }
  Design d = biplane();
  d.wings[0].struts[0].footOut = 700; // past the tip
  EXPECT_TRUE(hasFinding(findingsOf(wingOf(d)), "strut.nowhere"));
  d = biplane();
  d.wings[1].kind = WingKind::fin; // no left hand to be held by
  EXPECT_TRUE(hasFinding(findingsOf(wingOf(d)), "strut.nowhere"));
}

TEST(InterplaneStruts, ComeBackToTheFuselageWhenTheirWingGoes) {
  Design d = biplane();
  Wing third = d.wings[1];
  d.wings.push_back(third);
  d.wings[0].struts.push_back(d.wings[0].struts[0]);
  d.wings[0].struts[1].footWing = 3;
  const auto without = withWingTakenOut(d, 1);
  ASSERT_TRUE(without.ok());
  const auto& struts = without.value().wings[0].struts;
  EXPECT_EQ(struts[0].foot, Footing::fuselage);
  EXPECT_EQ(struts[1].foot, Footing::wing);
  EXPECT_EQ(struts[1].footWing, 2);
}

TEST(Posts, StandTheRootAtItsIncidence) {
  Design d = test::bareDesign();
  d.inner().sections.root.kind = d.inner().sections.tip.kind = SectionKind::flatPlate;
  d.inner().sections.root.drawn.tailTaper = d.inner().sections.tip.drawn.tailTaper = 0;
  d.inner().panel = test::panelOf(230, 120, 120);
  Posts& p = d.wings.front().posts;
  p.fitted = true, p.front = 0.1, p.rear = 0.9, p.height = 30, p.incidenceDeg = 4, p.inTube = 10;
  const TrueWing w = wingOf(d);
  // A flat plate's underside runs along its chord line: 96 mm of it fall by 96 sin 4°.
  EXPECT_NEAR(figureOf(w, "posts.front"), 40, 1e-9);
  EXPECT_NEAR(figureOf(w, "posts.step"), 96 * std::sin(degToRad(4)), 0.01);
  EXPECT_NEAR(figureOf(w, "posts.rear"), 40 - 96 * std::sin(degToRad(4)), 0.01);
  EXPECT_NEAR(figureOf(w, "posts.apart"), 96 * std::cos(degToRad(4)), 0.01);
  int posts = 0;
  for (const PieceLine& l : pieceList(w)) posts += l.part->what() == Part::What::post ? l.right + l.left : 0;
  EXPECT_EQ(posts, 2) << "one pair for both hands";
}

TEST(Posts, ThatCannotStandAreSaid) {
  Design d = strutted(400);
  Posts& p = d.wings.front().posts;
  p.fitted = true, p.front = 0.7, p.rear = 0.2;
  EXPECT_TRUE(hasFinding(findingsOf(wingOf(d)), "posts.order"));
  p.front = 0.1, p.rear = 0.9, p.height = 2, p.incidenceDeg = 10;
  EXPECT_TRUE(hasFinding(findingsOf(wingOf(d)), "posts.low"));
}

/// Moved by what it is told, the wing balances with the margin that is decided.
TEST(Posts, StandWhereTheMarginIs) {
  Design d = strutted(400);
  d.balance.aboard = {{"fuselage", 120, 90, 0, 0}, {"tail", 15, 420, 0, 0}};
  const TrueWing w = wingOf(d);
  const double by = figureOf(w, "balance.wingMove") *
                    (figureNamed(w, "balance.wingMove")->label.find("forward") == std::string::npos ? 1 : -1);
  for (Aboard& a : d.balance.aboard) a.aft -= by; // all else stays; it is measured from the wing
  EXPECT_NEAR(figureOf(wingOf(d), "balance.margin"), d.balance.margin, 1e-6);
}

} // namespace
} // namespace eup
