// Folded and second braces, cracked and unbroken spars, jig rods, sheet ends, tips that are rounded or spring back,
// caps whose wood changes: against rotation matrices, closed forms and plain counting.
#include "core/described/design_file.h"
#include "core/design/tables.h"
#include "core/drawing/paging.h"
#include "core/edit/panel_edit.h"
#include "core/geometry/polyline.h"
#include "core/joins/end_cut.h"
#include "core/joins/joiner.h"
#include "core/takeaway/take_away.h"
#include "support.h"
#include <cmath>
#include <Eigen/Geometry>
#include <numbers>

namespace eup {
namespace {

using test::figureOf;
using test::hasFinding;
using test::wingOf;

Design swept(double sweepDeg, double gammaDeg) {
  Design d;
  PanelDesign& p = d.inner();
  p.panel = test::panelOf(600, 200, 200, 600 * std::tan(degToRad(sweepDeg)));
  p.join.dihedral = {DihedralBy::angle, gammaDeg};
  p.join.braces[0].form = BraceForm::folded;
  p.join.braces[0].toRib = 3;
  return d;
}

/// Bent up from the flat sheet along its fold, both legs lie along the spars and upright against their panels.
TEST(FoldedBrace, LiesOnBothSpars) {
  for (const auto& [sweep, gamma] : {std::pair(6.0, 5.0), std::pair(20.0, 3.0), std::pair(-9.0, 7.0)}) {
    const TrueWing w = wingOf(swept(sweep, gamma));
    const Brace& b = w.inner().join.braces.at(0);
    ASSERT_TRUE(b.folded);
    // The flat sheet holds the fold and the way across (y). The right leg rises from that by half the flat bend, and is
    // turned about the fold by half of the turn. The fold lies in the plane of the join and square to both panels' aft.
    const double lean = std::atan(std::sin(degToRad(gamma)) * std::tan(w.inner().frame.spars[0].sweep));
    const Point3 line(std::sin(lean), 0, std::cos(lean));
    const Point3 flat = std::cos(b.bend / 2) * Point3::UnitY() + std::sin(b.bend / 2) * line;
    const Point3 leg = Eigen::AngleAxisd(-std::copysign(b.turn / 2, sweep), line) * flat;
    // The spar by rotation: swept in the panel's plane, and that turned up about the flight's direction.
    const double lambda = w.inner().frame.spars[0].sweep;
    const Point3 spar =
        Eigen::AngleAxisd(degToRad(gamma), Point3::UnitX()) * Point3(std::sin(lambda), std::cos(lambda), 0);
    EXPECT_LT((leg - spar).norm(), 1e-9) << sweep << ", " << gamma;
    EXPECT_NEAR(figureOf(w, "brace.turn"), b.turn, 1e-12);
    EXPECT_EQ(figureNamed(w, "brace.lean"), nullptr) << "it does not lean";
    EXPECT_FALSE(hasFinding(findingsOf(w), "brace.lean"));
  }
}

TEST(FoldedBrace, WithoutSweepIsTheFlatOne) {
  Design d = swept(0, 6);
  const TrueWing folded = wingOf(d);
  d.inner().join.braces[0].form = BraceForm::flat;
  EXPECT_FALSE(folded.inner().join.braces.at(0).folded);
  EXPECT_NEAR(folded.inner().join.braces.at(0).bend, wingOf(d).inner().join.braces.at(0).bend, 1e-12);
}

TEST(FoldedBrace, BetweenPanelsMeetsBothSpars) {
  Design d = swept(4, 2);
  PanelDesign outer = d.inner();
  outer.panel.tipSetback = 600 * std::tan(degToRad(12));
  outer.join.dihedral.value = 9;
  d.wings[0].panels.push_back(outer);
  const TrueWing w = wingOf(d);
  const TruePanel &in = w.at({0, 0}), &out = w.at({0, 1});
  const Brace& b = out.join.braces.at(0);
  const auto way = [](const TruePanel& p, double gamma) -> Point3 {
    return Eigen::AngleAxisd(degToRad(gamma), Point3::UnitX()) *
           Point3(std::sin(p.frame.spars[0].sweep), std::cos(p.frame.spars[0].sweep), 0);
  };
  const Point3 a = way(out, 9), c = -way(in, 2);
  // Folded back flat, the two legs' true angle is the sum of those to the fold: by turning one plane into the other.
  const Point3 na = a.cross(Eigen::AngleAxisd(degToRad(9), Point3::UnitX()) * Point3::UnitZ()),
               nc = c.cross(Eigen::AngleAxisd(degToRad(2), Point3::UnitX()) * Point3::UnitZ());
  const Point3 line = na.cross(nc).normalized();
  const Point3 flatA = Eigen::AngleAxisd(b.turn, line) * a, flatB = Eigen::AngleAxisd(-b.turn, line) * a;
  const double bendA = std::numbers::pi - std::acos(flatA.dot(c)), bendB = std::numbers::pi - std::acos(flatB.dot(c));
  EXPECT_NEAR(std::max(bendA, bendB) * 0 + std::min(std::abs(bendA - b.bend), std::abs(bendB - b.bend)), 0, 1e-6);
  EXPECT_GT(b.turn, degToRad(7));
  EXPECT_LT(b.turn, degToRad(9));
}

TEST(SeveralBraces, ShareTheMomentByItsStiffness) {
  Design d;
  PanelDesign& p = d.inner();
  Spar rear = p.spars[0];
  rear.name = "rear spar";
  rear.rootFraction = rear.tipFraction = 0.6;
  p.spars.push_back(rear);
  p.join.braces.resize(2);
  p.join.braces[1].spar = 2;
  p.join.braces[1].thickness = 3;
  const TrueWing w = wingOf(d);
  ASSERT_EQ(w.inner().join.braces.size(), 2u);
  const double h1 = w.inner().join.braces.at(0).depthRoot, h2 = w.inner().join.braces.at(1).depthRoot;
  const double t1 = p.join.braces[0].thickness, t2 = 3, m = figureOf(w, "load.rootMoment");
  // Two plates of one material bent alike: σ = E κ h ÷ 2 with κ from the sum of their stiffnesses.
  const double inertia = (t1 * h1 * h1 * h1 + t2 * h2 * h2 * h2) / 12;
  EXPECT_NEAR(figureOf(w, "brace.stress"), m / inertia * h1 / 2, 1e-6 * figureOf(w, "brace.stress"));
  EXPECT_NEAR(figureOf(w, "brace2.stress"), m / inertia * h2 / 2, 1e-6 * figureOf(w, "brace2.stress"));
  Design alone = d;
  alone.inner().join.braces.erase(alone.inner().join.braces.begin());
  EXPECT_GT(figureOf(wingOf(alone), "brace.stress"), figureOf(w, "brace2.stress"));
  EXPECT_EQ(figureNamed(wingOf(alone), "brace2.stress"), nullptr);
  // A third like the first on the same spar: the three share one moment, Σ M = m.
  p.join.braces.push_back(p.join.braces[0]);
  const TrueWing three = wingOf(d);
  const double more = inertia + t1 * h1 * h1 * h1 / 12;
  EXPECT_NEAR(figureOf(three, "brace3.stress"), m / more * h1 / 2, 1e-6 * figureOf(three, "brace3.stress"));
  double sum = 0;
  for (const BraceStrength& s : three.inner().strength.join.braces) sum += s.share;
  EXPECT_NEAR(sum, 1, 1e-12);
  // One that has lost its spar is said, and the others keep their names.
  p.join.braces[1].spar = 3;
  const TrueWing lost = wingOf(d);
  EXPECT_TRUE(hasFinding(findingsOf(lost), "brace.none"));
  EXPECT_EQ(figureNamed(lost, "brace2.bend"), nullptr);
  EXPECT_NE(figureNamed(lost, "brace3.bend"), nullptr);
}

/// Every plate once, none over another, with the grain: the V of one nests in the next.
TEST(BracePlates, AreNestedWithoutTouching) {
  const TrueWing w = wingOf(demoDesign("lanehurst-1180"));
  const auto sheets = bracePlates(test::drawn(w), Hand::right);
  ASSERT_EQ(sheets.size(), 1u);
  EXPECT_TRUE(bracePlates(test::drawn(w), Hand::left).empty()) << "the centre's braces are both hands'";
  std::vector<Polyline> plates;
  for (const Stroke& s : sheets.front().strokes)
    if (s.layer == Layer::cut) plates.push_back(s.points);
  ASSERT_EQ(plates.size(), 3u) << "one on either side of the main spar, one behind the rear spar";
  for (std::size_t i = 0; i < plates.size(); ++i)
    for (std::size_t k = i + 1; k < plates.size(); ++k) EXPECT_TRUE(intersect({plates[i]}, {plates[k]}).empty());
  EXPECT_NEAR(std::abs(signedArea(plates[0])), std::abs(signedArea(w.inner().join.braces.at(0).outline)), 1e-6);
  double tall = 0;
  for (const Polyline& p : plates) tall += boundsOf(p).height() + 5;
  Box all;
  for (const Polyline& p : plates) all.include(boundsOf(p));
  EXPECT_LT(all.height(), tall) << "nested, not stacked";
  Design none;
  none.inner().join.braces.clear();
  EXPECT_TRUE(bracePlates(test::drawn(wingOf(none)), Hand::right).empty());
}

TEST(CrackedSpars, TheVClosesAtTheAngle) {
  Design d;
  d.inner().join.sparsThere = SparsThere::cracked;
  d.inner().join.crackLeaves = 0.5;
  d.inner().join.dihedral = {DihedralBy::angle, 8};
  d.inner().join.braces.clear();
  const TrueWing w = wingOf(d);
  // A triangle of sides equal to the cut's depth with the whole bend between them.
  const double deep = d.inner().spars[0].top.depth - 0.5;
  EXPECT_NEAR(figureOf(w, "crack.1.top"), 2 * deep * std::tan(degToRad(8)), 1e-9);
  EXPECT_TRUE(hasFinding(findingsOf(w), "join.cracked"));
  d.inner().join.braces = {Bracing{}};
  EXPECT_FALSE(hasFinding(findingsOf(wingOf(d)), "join.cracked"));
}

TEST(ThroughSpars, NeedAStraightJoinAndShareTheRootRib) {
  Design d;
  d.inner().panel.tipSetback = 0;
  d.inner().panel.tipChord = d.inner().panel.rootChord;
  d.inner().panel.washoutDeg = 0;
  d.inner().join.sparsThere = SparsThere::through;
  d.inner().join.dihedral = {DihedralBy::angle, 0};
  d.inner().join.braces.resize(2);
  const TrueWing w = wingOf(d);
  EXPECT_FALSE(hasFinding(findingsOf(w), "join.through"));
  EXPECT_TRUE(w.inner().join.braces.empty()) << "nothing to brace";
  EXPECT_EQ(figureNamed(w, "cut.le.mitre"), nullptr) << "nothing to saw";
  EXPECT_TRUE(w.inner().frame.ribs.front().shared);
  EXPECT_DOUBLE_EQ(w.inner().frame.ribs.front().body().first, -d.inner().ribs.rootThickness / 2);
  const auto count = [&](Hand hand) {
    int n = 0;
    const auto sheets = ribSheets(test::drawn(w), hand, 3000, 0);
    for (const Label& l : sheets.front().labels)
      n += l.text.starts_with("R1 ") && l.text.find(" at ") != std::string::npos;
    return n;
  };
  EXPECT_EQ(count(Hand::right), 1);
  EXPECT_EQ(count(Hand::left), 0) << "cut once";
  d.inner().join.dihedral.value = 3;
  EXPECT_TRUE(hasFinding(findingsOf(wingOf(d)), "join.through"));
}

TEST(JigRods, RunStraightThroughEveryRib) {
  Design d = demoDesign("lanehurst-1180");
  d.inner().join.rods = true;
  d.inner().join.rodFront = 0.2, d.inner().join.rodRear = 0.5;
  const TrueWing w = wingOf(d);
  EXPECT_TRUE(hasFinding(findingsOf(w), "ribs.laps")) << "they meet half-laps";
  EXPECT_FALSE(hasFinding(findingsOf(wingOf(demoDesign("tarnbrook-2000"))), "ribs.laps"));
  const TruePanel& p = w.inner();
  const auto rods = jigRods(p.design, p.shape.loft);
  const auto check = [&](const Rib& r) {
    int holes = 0;
    for (const PassHole& h : r.passHoles)
      if (h.what == Passing::What::rod) {
        const Point3 at = r.inPanel(h.middle);
        const Point want = rods[static_cast<std::size_t>(holes)].at(at.y());
        EXPECT_NEAR((Point(at.x(), at.z()) - want).norm(), 0, 1e-6) << r.name();
        EXPECT_GT(std::min(h.underTop, h.overBottom), 0) << "inside the rib";
        ++holes;
      }
    return holes;
  };
  for (const Rib& r : p.frame.ribs) EXPECT_LE(check(r), 2);
  EXPECT_EQ(check(p.frame.ribs.front()), 2);
  EXPECT_EQ(check(p.frame.ribs.back()), 2);
  const double board = p.shape.loft.lowest();
  EXPECT_NEAR(figureOf(w, "rod.1.root"), rods[0].root.y() - board, 1e-6);
  EXPECT_NEAR(figureOf(w, "rod.2.tip"), rods[1].tip.y() - board, 1e-6);
}

/// A flat sheet on a panel without taper, twist or camber: swept by Λ and folded by Γ its end is cut by the way that
/// the join's plane meets it, worked out with rotated vectors.
TEST(SheetEnds, AreMitredForSweepAndDihedral) {
  Design d = swept(10, 5);
  d.inner().sections.root.naca = d.inner().sections.tip.naca = "0004";
  d.inner().sheeting.fraction = 0.6; // half way along it the surface is level: a 4-digit section is thickest at 30 %
  const TrueWing w = wingOf(d);
  // The panel lies level; the join's plane leans by Γ. On the level surface it cuts straight with the flight, so the
  // end is Λ out of square to the leading edge.
  EXPECT_NEAR(std::abs(figureOf(w, "cut.sheetTop.mitre")), degToRad(10), 2e-3);
  EXPECT_NEAR(std::abs(figureOf(w, "cut.sheetTop.tilt")), degToRad(5), 2e-3);
  EXPECT_NEAR(figureOf(w, "cut.sheetTop.mitre"), figureOf(w, "cut.sheetBottom.mitre"), 5e-3);
  d.inner().sheeting.bottom = false;
  EXPECT_EQ(figureNamed(wingOf(d), "cut.sheetBottom.mitre"), nullptr);
}

TEST(Tips, RoundedCornersAreQuartersOfCircles) {
  Design d;
  d.inner().tip.kind = TipKind::rounded;
  d.inner().tip.radius = 30;
  const TrueWing w = wingOf(d);
  const double chord = w.inner().shape.loft.frameAt(w.inner().shape.loft.span()).chord;
  const TipShape& tip = *w.inner().tip;
  EXPECT_DOUBLE_EQ(tip.reach, 30);
  EXPECT_NEAR(tip.area, chord * 30 - 2 * (900 - std::numbers::pi * 225), 1e-9);
  EXPECT_NEAR(std::abs(signedArea(tip.edge)), tip.area, 0.001 * tip.area) << "the drawn edge encloses it";
  EXPECT_NEAR(lengthOf(tip.edge), chord - 60 + std::numbers::pi * 30, 0.02);
  ASSERT_EQ(tip.templates.size(), 3u);
  const double at = tip.templates[1].beyond;
  EXPECT_NEAR(tip.templates[1].chord, chord - 2 * (30 - std::sqrt(900 - at * at)), 1e-9);
  d.inner().tip.radius = 900;
  EXPECT_NEAR(wingOf(d).inner().tip->reach, chord / 2, 1e-9) << "the corners share the chord";
}

/// A half circle's form has the radius R (1 − s), and a strip let off it opens to R.
TEST(Tips, SpringBackOfACircle) {
  Polyline half;
  constexpr int n = 400;
  for (int i = 0; i <= n; ++i) {
    const double a = std::numbers::pi * i / n;
    half.emplace_back(50 - 50 * std::cos(a), 50 * std::sin(a));
  }
  const Polyline form = overBent(half, 0.2);
  EXPECT_NEAR(lengthOf(form), lengthOf(half), 1e-9) << "the strip is as long";
  // All points of the form lie on one circle of 40 that touches at the top.
  for (const Point& p : form) EXPECT_NEAR((p - Point(50, 10)).norm(), 40, 0.05);
  for (std::size_t i = 0; i < half.size(); ++i) EXPECT_LT((overBent(half, 0)[i] - half[i]).norm(), 1e-9);
  Design d;
  d.inner().tip.kind = TipKind::bow;
  d.inner().tip.reach = 60;
  d.inner().tip.springBack = 0.2;
  EXPECT_NEAR(figureOf(wingOf(d), "tip.form"), 0.25, 1e-9);
}

TEST(Spars, AWoodThatChangesCountsFromThereOn) {
  Design d;
  Spar& s = d.inner().spars[0];
  for (Cap* c : {&s.top, &s.bottom}) c->changes = true, c->changesAt = 0.6, c->thenMaterial = "balsa-220";
  const TrueWing w = wingOf(d);
  const SparLine& line = w.inner().frame.spars[0];
  const auto modulus = [&](double share) { return sparSection(s, line, share * line.end, Tables{}).upperModulus; };
  EXPECT_DOUBLE_EQ(modulus(0.59), Tables{}.named("spruce").modulus);
  EXPECT_DOUBLE_EQ(modulus(0.61), Tables{}.named("balsa-220").modulus);
  EXPECT_NEAR(figureOf(w, "spar.1.changeTop"), 0.6 * line.end, 1e-9);
  EXPECT_GT(w.main().tipDeflection, wingOf(Design{}).main().tipDeflection);
}

/// Cut anywhere and merged again the wood changes where it did.
/// Caps that end and caps that are doubled are as deep and as far after the panel is cut and merged again.
TEST(Spars, CapsThatEndOrAreDoubledAreCutAndMerged) {
  for (const double at : {0.3, 0.72}) {
    Design d;
    d.inner().panel.washoutDeg = 0;
    d.inner().join.braces.clear();
    Cap &top = d.inner().spars[0].top, &bottom = d.inner().spars[0].bottom;
    bottom.drops = true, bottom.dropsAt = at;
    top.doubled = true, top.doubledTo = at, top.doubler = 1.5;
    top.tapers = true, top.tipWidth = 4, top.tipDepth = 2;
    const double span = d.inner().panel.span, cut = span * 5 / 11; // at a rib
    const auto split = withPanelSplit(d, {}, cut);
    ASSERT_TRUE(split.ok()) << split.problem().text();
    ASSERT_TRUE(designFromText(designToText(split.value())).ok());
    const auto merged = withPanelsMerged(split.value(), {});
    ASSERT_TRUE(merged.ok()) << merged.problem().text();
    const auto sparAt = [&](const Design& of, double t) {
      const bool in = t <= cut + 1e-6 || of.wings[0].panels.size() == 1;
      const PanelDesign& p = of.at({0, in ? 0 : 1});
      const double share = (in ? t : t - cut) / p.panel.span;
      return std::pair(capAt(p.spars[0].top, share), capAt(p.spars[0].bottom, share));
    };
    for (const double share : {0.1, at - 0.01, at + 0.01, 0.9}) {
      const auto [upper, lower] = sparAt(d, share * span);
      const auto [cutUpper, cutLower] = sparAt(split.value(), share * span);
      EXPECT_NEAR(cutUpper.depth, upper.depth, 1e-9) << at << ", " << share;
      EXPECT_NEAR(cutUpper.width, upper.width, 1e-9) << at << ", " << share;
      EXPECT_EQ(cutLower.fitted, lower.fitted) << at << ", " << share;
      EXPECT_EQ(sparAt(merged.value(), share * span).second.fitted, lower.fitted) << at << ", " << share;
    }
    EXPECT_NEAR(merged.value().inner().spars[0].bottom.dropsAt, at, 1e-12);
  }
}

TEST(Spars, AWoodThatChangesIsCutAndMerged) {
  for (const double at : {0.3, 0.5, 0.72}) {
    Design d;
    d.inner().panel.washoutDeg = 0;
    d.inner().join.braces.clear();
    Cap& top = d.inner().spars[0].top;
    top.changes = true, top.changesAt = at, top.thenMaterial = "balsa-220";
    const double span = d.inner().panel.span, cut = span * 5 / 11; // at a rib
    const auto split = withPanelSplit(d, {}, cut);
    ASSERT_TRUE(split.ok()) << split.problem().text();
    const auto material = [&](const Design& of, double t) {
      const bool in = t <= cut + 1e-6 || of.wings[0].panels.size() == 1;
      const PanelDesign& p = of.at({0, in ? 0 : 1});
      return capAt(p.spars[0].top, (in ? t : t - cut) / p.panel.span).material;
    };
    const auto merged = withPanelsMerged(split.value(), {});
    ASSERT_TRUE(merged.ok()) << merged.problem().text();
    for (const double share : {0.1, at - 0.01, at + 0.01, 0.9}) {
      EXPECT_EQ(material(split.value(), share * span), material(d, share * span)) << at << ", " << share;
      EXPECT_EQ(material(merged.value(), share * span), material(d, share * span)) << at << ", " << share;
    }
    EXPECT_NEAR(merged.value().inner().spars[0].top.changesAt, at, 1e-12);
  }
}

TEST(Gauges, WashoutBlocksAndTemplatesOverTheTop) {
  Design d;
  d.inner().panel.washoutDeg = 3;
  const TrueWing w = wingOf(d);
  const Drawing sheet = stacked(gauges(test::drawn(w).front(), Hand::right), 5);
  int over = 0, blocks = 0;
  for (const Label& l : sheet.labels) {
    over += l.text.starts_with("over R");
    blocks += l.text.starts_with("Washout block, R12");
  }
  EXPECT_EQ(over, 3);
  EXPECT_EQ(blocks, 1);
  // The block's tail is as high as the packing under the trailing edge.
  const double high = figureOf(w, "setup.12.te");
  bool found = false;
  for (const Stroke& s : sheet.strokes)
    if (s.points.size() == 4 && std::abs(boundsOf(s.points).width() - 12) < 1e-9)
      found = found || std::abs(boundsOf(s.points).height() - high) < 1e-9;
  EXPECT_TRUE(found);
}

} // namespace
} // namespace eup
