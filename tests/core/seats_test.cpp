// Where caps lie under what covers them, and what a gauge reads in their notches.
#include "core/geometry/polyline.h"
#include "core/geometry/region.h"
#include "core/section/naca.h"
#include "core/strength/d_box.h"
#include "support.h"

namespace eup {
namespace {

using test::figureOf;
using test::wingOf;

/// 2412, 230 → 150 over 650, tip set back 22, Γ 4°.
Design tapered(double washout) {
  Design d;
  d.inner().panel = test::panelOf(650, 230, 150, 22, washout, 0);
  d.inner().join.dihedral = {DihedralBy::angle, 4};
  d.inner().spars[0].rootFraction = d.inner().spars[0].tipFraction = 0.3;
  d.inner().sheeting.thickness = 1.5;
  d.inner().sheeting.to = SheetTo::fraction;
  d.inner().sheeting.fraction = 0.3;
  d.inner().capStrips.top = d.inner().capStrips.bottom = false;
  return d;
}

/// Sheet that ends on the spar's own line covers the caps all along, however the tip is turned.
TEST(CapSeats, StayUnderSheetThatEndsOnTheirLine) {
  for (const double washout : {2.0, -2.0, 0.0}) {
    const TrueWing w = wingOf(tapered(washout));
    EXPECT_LT(figureOf(w, "spar.1.gap"), 0.01) << washout;
    for (const Rib& r : w.inner().frame.ribs)
      for (const Notch& n : r.notches) EXPECT_NEAR(n.depth, 3 + 1.5, 0.05) << r.name() << " " << washout;
  }
}

/// Where a straight cap leaves the surface its notch is deeper than the cap, measured from under the cover too.
TEST(Notches, AreReadFromUnderTheirCover) {
  Design d = tapered(2);
  d.inner().spars[0].rootFraction = 0.35, d.inner().spars[0].tipFraction = 0.25;
  for (const bool covered : {false, true}) {
    d.inner().sheeting.top = d.inner().sheeting.bottom = covered;
    d.inner().sheeting.fraction = 0.5;
    const TrueWing w = wingOf(d);
    double deepest = 0;
    for (const Rib& r : w.inner().frame.ribs)
      for (const Notch& n : r.notches) {
        deepest = std::max(deepest, n.underCover);
        // The rib's own wood beside the notch, a little either way.
        double edge = 0;
        int found = 0;
        const Box cap = boundsOf(n.shape);
        for (const double x : {cap.low.x() - 0.4, cap.high.x() + 0.4}) {
          double high = -1e9, low = 1e9;
          for (const Polyline& loop : r.wood)
            for (std::size_t i = 0; i < loop.size(); ++i) {
              const Point &a = loop[i], &b = loop[(i + 1) % loop.size()];
              if ((a.x() - x) * (b.x() - x) > 0 || a.x() == b.x()) continue;
              const double y = a.y() + (b.y() - a.y()) * (x - a.x()) / (b.x() - a.x());
              high = std::max(high, y), low = std::min(low, y);
            }
          edge += n.face == Face::upper ? high : low, ++found;
        }
        EXPECT_NEAR(n.underCover, std::abs(edge / found - n.bottom.y()), 0.05) << r.name() << covered;
      }
    // A straight spar from 35 to 25 % leaves this surface by 0.317 at most (second route).
    EXPECT_NEAR(deepest, 3 + 0.316762, 0.02) << covered;
  }
}

/// The mid line of a nose box whose sheet is thicker than the nose is round, by another library's offset.
TEST(NoseBox, HasNoDetoursAtASharpNose) {
  for (const char* digits : {"0006", "2412", "6406", "0012"})
    for (const double chord : {100.0, 230.0})
      for (const double t : {1.0, 2.0, 3.0}) {
        const Section naca = makeNaca(readNaca(digits).value());
        Polyline upper, lower;
        for (const Point& p : naca.upper) upper.push_back(p * chord);
        for (const Point& p : naca.lower) lower.push_back(p * chord);
        const double web = 0.3 * chord;
        const Polyline box = noseBox(upper, lower, web, t);
        Region whole{Polyline(upper.rbegin(), upper.rend())};
        whole[0].insert(whole[0].end(), lower.begin() + 1, lower.end());
        const Region want = intersect(grown(whole, -t / 2), {rectangle({-chord, -chord}, {web, chord})});
        ASSERT_EQ(want.size(), 1u);
        const double area = areaOf(want), wall = perimeterOf(want[0]);
        EXPECT_NEAR(torsionConstant(box, t), 4 * area * area * t / wall, 0.006 * 4 * area * area * t / wall)
            << digits << " " << chord << " " << t;
      }
}

} // namespace
} // namespace eup
