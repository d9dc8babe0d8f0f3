// What was cut too shallow and how it is rescued; edges laminated and run on round the tip; lift that acts aside; the
// neutral point by a vortex lattice.
#include "core/balance/lift_aside.h"
#include "core/balance/neutral_point.h"
#include "core/geometry/polyline.h"
#include "core/parts/spar_sheets.h"
#include "core/strength/spar_strength.h"
#include "core/takeaway/take_away.h"
#include "support.h"
#include <Eigen/Dense>
#include <numbers>

namespace eup {
namespace {

using test::figureOf;
using test::wingOf;

Design ofSheetSpars() {
  Design d;
  d.inner().panel = test::panelOf(700, 220, 220, 0, 0);
  Spar& s = d.inner().spars[0];
  s.kind = SparKind::fullDepth, s.sheet = 3, s.ribSlot = SlotFrom::above;
  d.inner().spars.resize(1);
  return d;
}

/// By hand: half the depth is left at a rib, so b (h/2)² / 6; short by s it is b (h/2 − s)² / 6.
TEST(ShortSpar, BearsWhatItsDepthLeaves) {
  Design d = ofSheetSpars();
  const TrueWing whole = wingOf(d);
  const SparLine& line = whole.inner().frame.spars[0];
  const double half = (line.upperSeat.root.y() - line.lowerSeat.root.y()) / 2;
  d.inner().spars[0].cutShort = 4;
  const TrueWing cut = wingOf(d);
  EXPECT_NEAR(figureOf(cut, "spar.1.asCut"), std::pow((half - 4) / half, 2), 1e-9);
  EXPECT_TRUE(test::hasFinding(findingsOf(cut), "spar.shallow"));
  const double was = figureOf(whole, "spar.1.stressTop"), is = figureOf(cut, "spar.1.stressTop");
  EXPECT_NEAR(is / was, std::pow(half / (half - 4), 2), 0.02);
  // A strip through the open slots makes it whole again.
  d.inner().spars[0].rescued = true;
  const TrueWing closed = wingOf(d);
  EXPECT_NEAR(figureOf(closed, "spar.1.rescuedBears"), 1, 1e-12);
  EXPECT_FALSE(test::hasFinding(findingsOf(closed), "spar.shallow"));
  int strips = 0;
  for (const Part& p : closed.inner().parts)
    if (p.key() == "rescue.1") {
      ++strips;
      EXPECT_NEAR(p.length, 700 * line.stretch, 1e-6);
      EXPECT_EQ(p.stock, Stock::strip(3, 4));
    }
  EXPECT_EQ(strips, 1);
}

/// Along its lower edge the ribs are in the way: strips from rib to rib. At the ribs that edge is slotted away in any
/// case, so nothing is lost there until more than half the depth is missing.
TEST(ShortSpar, GetsStripsBetweenTheRibsBelow) {
  Design d = ofSheetSpars();
  Spar& s = d.inner().spars[0];
  s.cutShort = 3, s.shortBelow = true, s.rescued = true;
  const TrueWing w = wingOf(d);
  int strips = 0;
  double length = 0;
  for (const Part& p : w.inner().parts)
    if (p.key().starts_with("rescue.1.")) ++strips, length += p.length;
  EXPECT_EQ(strips, static_cast<int>(w.inner().frame.ribs.size()) - 1);
  double ribs = 0;
  for (const Rib& rib : w.inner().frame.ribs) ribs += rib.thickness;
  EXPECT_NEAR(length, (700 - ribs) * w.inner().frame.spars[0].stretch, 1e-6);
  EXPECT_NEAR(figureOf(w, "spar.1.asCut"), 1, 1e-12);
  EXPECT_FALSE(test::hasFinding(findingsOf(w), "spar.shallow"));
  const SparLine& line = w.inner().frame.spars[0];
  const double half = (line.upperSeat.root.y() - line.lowerSeat.root.y()) / 2;
  d.inner().spars[0].cutShort = half + 2;
  EXPECT_NEAR(figureOf(wingOf(d), "spar.1.asCut"), std::pow((half - 2) / half, 2), 1e-9);
  d.inner().spars[0].cutShort = 3;
  // What is printed is what was cut: lower by 3 all along.
  const Polyline outline = fullDepthSparOutline(s, w.inner().frame.spars[0]);
  Spar full = s;
  full.cutShort = 0;
  const double taken =
      boundsOf(fullDepthSparOutline(full, w.inner().frame.spars[0])).height() - boundsOf(outline).height();
  EXPECT_NEAR(taken, 3, 1e-9);
}

/// The strips of a laminated edge run on round the tip: the form is the bow's and the straight edge in one.
TEST(LaminatedEdge, RunsOnRoundTheTip) {
  Design d;
  PanelDesign& p = d.inner();
  p.panel = test::panelOf(700, 220, 220, 0, 0);
  p.trailingEdge.kind = TrailingEdgeKind::square, p.trailingEdge.width = 6, p.trailingEdge.height = 4;
  p.trailingEdge.strips = 4;
  p.tip.kind = TipKind::bow, p.tip.reach = 60, p.tip.strips = 2, p.tip.springBack = 0.1;
  const auto piece = [](const TrueWing& w, const char* key) -> const Part* {
    for (const Part& part : w.inner().parts)
      if (part.key() == key) return &part;
    return nullptr;
  };
  const TrueWing apart = wingOf(d);
  ASSERT_NE(piece(apart, "te"), nullptr);
  EXPECT_EQ(piece(apart, "te")->count, 4);
  EXPECT_EQ(piece(apart, "te")->stock, Stock::strip(4, 1.5));
  EXPECT_NE(piece(apart, "tip"), nullptr);
  p.tip.runsOn = true;
  const TrueWing on = wingOf(d);
  EXPECT_EQ(piece(on, "tip"), nullptr) << "it is the edge's own";
  const TipShape& tip = *on.inner().tip;
  EXPECT_NEAR(piece(on, "te")->length, piece(apart, "te")->length + tip.longest, 1e-6);
  EXPECT_EQ(on.inner().design.tip.strips, 4);
  EXPECT_NEAR(on.inner().design.tip.thickness, 1.5, 1e-12);
  EXPECT_NEAR(lengthOf(tip.form) - lengthOf(tip.inner), 700 + tip.inner.back().y(), 0.1)
      << "as long as the edge, and bent alone where the bow is";
  // Bent further by what springs back: the straight part leaves the bow turned by a ninth of half its bend.
  const Point way = tip.form.back() - tip.form[tip.form.size() - 2];
  EXPECT_GT(std::abs(std::atan2(way.x(), -way.y())), 0.02);
  EXPECT_NE(figureNamed(on, "tip.bend"), nullptr);
}

/// Strips that fill the whole tip leave no form to bend them round: told, and everything else is printed.
TEST(LaminatedEdge, MayBeTooWideForAnyForm) {
  Design d;
  PanelDesign& p = d.inner();
  p.trailingEdge.kind = TrailingEdgeKind::square, p.trailingEdge.width = 500, p.trailingEdge.height = 100;
  p.trailingEdge.strips = 20;
  p.tip.kind = TipKind::bow, p.tip.runsOn = true;
  const auto result = work(d);
  const auto* w = std::get_if<TrueWing>(&result);
  ASSERT_NE(w, nullptr);
  EXPECT_TRUE(w->inner().tip->form.empty());
  EXPECT_TRUE(tipParts(test::drawn(*w).front(), Hand::right).empty());
  EXPECT_TRUE(test::hasFinding(findingsOf(*w), "tip.deep"));
}

/// By hand: a plain wing whose left half has 2° more washout (-2° is wash-in) over all its span. Each half lifts as its
/// mean angle, in its own middle.
TEST(LiftAside, GoesToTheHalfThatIsTurnedUp) {
  std::vector<LiftStrip> strips;
  for (int i = 0; i < 100; ++i) {
    const double y = (i + 0.5) * 7;
    strips.push_back({y, 1400, 0});
    strips.push_back({-y, 1400, -0.02});
  }
  const double mean = 0.1, right = mean - 0.01, left = mean + 0.01; // root's angle 0.09
  EXPECT_NEAR(liftAside(strips, mean), 350 * (right - left) / (right + left), 1e-9);
  for (LiftStrip& s : strips) s.washout = 0.01;
  EXPECT_NEAR(liftAside(strips, mean), 0, 1e-9);
}

TEST(LiftAside, IsToldOfHandsThatDiffer) {
  Design d;
  d.inner().left = {true, 0, 0, 0, -2};
  const TrueWing w = wingOf(d);
  const Figure* f = figureNamed(w, "balance.liftAside");
  ASSERT_NE(f, nullptr);
  EXPECT_NE(f->label.find("left"), std::string::npos) << "that half is washed in";
  EXPECT_GT(f->value, 0.5);
  d.wings[0].posts.fitted = true;
  d.wings[0].posts.offset = -f->value;
  EXPECT_NEAR(figureOf(wingOf(d), "balance.liftAside"), 0, 1e-6) << "the posts stand under it";
  EXPECT_EQ(figureNamed(wingOf(Design{}), "balance.liftAside"), nullptr);
}

/// A lattice of horseshoe vortices, bound at a quarter of each panel's chord, no flow through its surface at three
/// quarters (Falkner, ARC R&M 1910, 1943; the law of Biot and Savart): lift and where it acts as the angle grows.
struct Lattice {
  struct Horseshoe {
    Point3 a, b, control;
    double chord;
  };
  std::vector<Horseshoe> all;

  void add(double span, double rootChord, double tipChord, double aft, double setback, double up, int across,
           int along) {
    for (int i = 0; i < 2 * across; ++i)
      for (int k = 0; k < along; ++k) {
        const auto at = [&](double u, double share) -> Point3 { // u from tip to tip, −1 … 1
          const double chord = rootChord + (tipChord - rootChord) * std::abs(u);
          return {aft + setback * std::abs(u) + chord * (k + share) / along, u * span / 2, up};
        };
        const double u0 = -1 + static_cast<double>(i) / across, u1 = u0 + 1.0 / across, um = (u0 + u1) / 2;
        all.push_back({at(u0, 0.25), at(u1, 0.25), at(um, 0.75), 0});
      }
  }
  static Point3 ofSegment(const Point3& p, const Point3& a, const Point3& b) {
    const Point3 r1 = p - a, r2 = p - b, cross = r1.cross(r2);
    const double square = cross.squaredNorm();
    if (square < 1e-9) return {0, 0, 0};
    return cross / square * (b - a).dot(r1 / r1.norm() - r2 / r2.norm()) / (4 * std::numbers::pi);
  }
  static Point3 of(const Horseshoe& h, const Point3& p) {
    const Point3 far(1e6, 0, 0);
    return ofSegment(p, h.a + far, h.a) + ofSegment(p, h.a, h.b) + ofSegment(p, h.b, h.b + far);
  }
  /// Where added lift acts, mm aft.
  double neutral() const {
    const auto n = static_cast<Eigen::Index>(all.size());
    Eigen::MatrixXd m(n, n);
    for (Eigen::Index i = 0; i < n; ++i)
      for (Eigen::Index k = 0; k < n; ++k)
        m(i, k) = of(all[static_cast<std::size_t>(k)], all[static_cast<std::size_t>(i)].control).z();
    const Eigen::VectorXd strength = m.lu().solve(Eigen::VectorXd::Constant(n, -1));
    double lift = 0, moment = 0;
    for (Eigen::Index i = 0; i < n; ++i) {
      const Horseshoe& h = all[static_cast<std::size_t>(i)];
      const double here = strength(i) * (h.b.y() - h.a.y());
      lift += here, moment += here * (h.a.x() + h.b.x()) / 2;
    }
    return moment / lift;
  }
};

TEST(NeutralPoint, AgreesWithAVortexLattice) {
  { // a plain wing alone: a quarter of its chord, a little less for the lattice's own induction
    Lattice l;
    l.add(1500, 200, 200, 0, 0, 0, 24, 4);
    EXPECT_NEAR(l.neutral(), 50, 0.02 * 200);
  }
  struct Case {
    double span, chord, tailSpan, tailChord, tailAft;
  };
  for (const Case& c :
       {Case{1500, 200, 500, 120, 700}, Case{1200, 180, 400, 110, 520}, Case{2000, 200, 560, 120, 900}}) {
    Lattice l;
    l.add(c.span, c.chord, c.chord, 0, 0, 0, 20, 3);
    l.add(c.tailSpan, c.tailChord, c.tailChord, c.tailAft, 0, 15, 12, 3);
    const LiftingSurface wing{c.span * c.chord, c.span, c.chord / 4, c.chord, 1},
        tail{c.tailSpan * c.tailChord, c.tailSpan, c.tailAft + c.tailChord / 4, c.tailChord, 1};
    EXPECT_NEAR(neutralPoint(std::vector{wing, tail}).aft, l.neutral(), 0.06 * c.chord) << c.span;
  }
}

} // namespace
} // namespace eup
