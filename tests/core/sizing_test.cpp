#include "core/design/tables.h"
#include "core/trials/swap_wood.h"
#include "support.h"

namespace eup {
namespace {

using test::wingOf;

/// The same search by working the whole wing out anew for every size.
std::optional<SparSize> lightest(const Design& given, const SizingOrder& order) {
  std::optional<SparSize> best;
  for (const std::string& wood : order.materials)
    for (const double width : order.stock)
      for (const double top : order.stock)
        for (const double bottom : order.stock)
          for (const double tip : order.stock) {
            if (tip > width || (tip < width && !order.mayTaper)) continue;
            Design d = given;
            Spar& s = d.inner().spars[0];
            s.top.width = s.bottom.width = width;
            s.top.tipWidth = s.bottom.tipWidth = tip;
            s.top.depth = s.top.tipDepth = top, s.bottom.depth = s.bottom.tipDepth = bottom;
            s.top.tapers = s.bottom.tapers = tip < width;
            s.top.material = s.bottom.material = wood;
            const TrueWing w = wingOf(d);
            double least = 1e9, grams = 0;
            for (const SparBay& bay : w.inner().strength.bays)
              for (const BayCheck& c : bay.checks)
                if (bay.spar == 0 && c.ofSpar()) least = std::min(least, c.reserve());
            const double density = Tables{}.named(wood).density * 1e-6;
            for (int i = 0; i < 100; ++i) {
              const double share = (i + 0.5) / 100;
              grams += (width + (tip - width) * share) * (top + bottom) * density * w.inner().shape.loft.span() / 100 *
                       w.inner().frame.spars[0].stretch;
            }
            const SparLine& line = w.inner().frame.spars[0];
            const double deep = std::min(line.upperSeat.root.y() - line.lowerSeat.root.y(),
                                         line.upperSeat.tip.y() - line.lowerSeat.tip.y());
            if (least < order.reserve || top + bottom > 0.8 * deep) continue;
            if (!best || grams < best->grams - 1e-9) best = SparSize{s, grams, least};
          }
  return best;
}

TEST(Sizing, FindsWhatTryingAllFinds) {
  Design d;
  d.flying.pushFactor = 3, d.flying.tipTouch = 1;
  d.inner().spars[0].webs = Webs::between;
  SizingOrder order;
  order.stock = {3, 5, 8};
  order.materials = {"spruce", "balsa-160"};
  const TrueWing w = wingOf(d);
  for (const double reserve : {1.0, 2.0, 3.0}) {
    order.reserve = reserve;
    const auto found = sparSizes(w.inner(), w.main().loads, order);
    const auto all = lightest(d, order);
    ASSERT_EQ(found.empty(), !all) << reserve;
    if (!all) continue;
    EXPECT_NEAR(found.front().grams, all->grams, 1e-6 * all->grams) << reserve;
    EXPECT_GE(found.front().reserve, reserve);
    for (std::size_t i = 1; i < found.size(); ++i) EXPECT_GE(found[i].grams, found[i - 1].grams - 1e-9);
  }
}

TEST(Sizing, OfASheetSparAndOfOneCap) {
  Design d;
  d.inner().spars[0].kind = SparKind::fullDepth;
  SizingOrder order;
  order.reserve = 0.2; // half of a sheet spar is slotted away at every rib
  order.materials = {"balsa-220"};
  const TrueWing sheet = wingOf(d);
  const auto sheets = sparSizes(sheet.inner(), sheet.main().loads, order);
  ASSERT_FALSE(sheets.empty());
  EXPECT_GE(sheets.front().reserve, 0.2);
  d.inner().spars[0].kind = SparKind::caps;
  d.inner().spars[0].bottom.fitted = false;
  order.materials = {"spruce"};
  const TrueWing one = wingOf(d);
  const auto single = sparSizes(one.inner(), one.main().loads, order);
  ASSERT_FALSE(single.empty());
  for (const SparSize& s : single) EXPECT_FALSE(s.spar.bottom.fitted);
}

TEST(Sizing, SaysNothingWhenNothingHolds) {
  const TrueWing w = wingOf(Design{});
  SizingOrder order;
  order.reserve = 60;
  EXPECT_TRUE(sparSizes(w.inner(), w.main().loads, order).empty());
  order.reserve = 1, order.stock = {0.1, 1000}; // no sizes of a spar
  EXPECT_TRUE(sparSizes(w.inner(), w.main().loads, order).empty());
  order = {}, order.materials.clear();
  EXPECT_TRUE(sparSizes(w.inner(), w.main().loads, order).empty());
}

// By width the fibres stay where they are: E w is all that changes, so the new width is w E ÷ E′ by hand.
TEST(SwapWood, SameStiffnessByWidthIsTheRatioOfModuli) {
  const TrueWing w = wingOf(Design{});
  const Cap& old = w.design.inner().spars[0].top;
  const auto swap =
      swapWood(w.inner(), w.main().loads, 0, Face::upper, "carbon-strip", SwapKeeps::stiffness, SwapBy::width);
  ASSERT_TRUE(swap.has_value());
  EXPECT_NEAR(swap->cap.width, old.width * 10800 / 120000, 1e-6);
  // Narrower, so it is glued to less rib: bottom and sides of the notch, and two gussets win it back.
  const double rib = w.design.inner().ribs.thickness;
  EXPECT_NEAR(swap->glueLost, (old.width - swap->cap.width) * rib, 1e-6);
  EXPECT_NEAR(2 * swap->gusset * rib, swap->glueLost, 1e-9);
  // Grams by hand: length × depth × (new width × 1550 − old × 400 kg/m³).
  const double length = w.inner().shape.loft.span() * w.inner().frame.spars[0].stretch;
  EXPECT_NEAR(swap->gramsMore, length * old.depth * (swap->cap.width * 1550 - old.width * 400) * 1e-6, 1e-6);
}

TEST(SwapWood, SameStrengthKeepsTheCapsReserve) {
  const TrueWing w = wingOf(Design{});
  for (const SwapBy by : {SwapBy::width, SwapBy::depth}) {
    const auto swap = swapWood(w.inner(), w.main().loads, 0, Face::upper, "balsa-220", SwapKeeps::strength, by);
    ASSERT_TRUE(swap.has_value());
    Design d = w.design;
    d.inner().spars[0].top = swap->cap;
    EXPECT_NEAR(wingOf(d).inner().strength.bending.spars[0].upper->reserve,
                w.inner().strength.bending.spars[0].upper->reserve, 1e-4);
  }
  // Light balsa instead of spruce would have to be deeper than there is room.
  Design shallow;
  shallow.inner().sections.root.naca = shallow.inner().sections.tip.naca = "2404";
  const TrueWing thin = wingOf(shallow);
  EXPECT_FALSE(
      swapWood(thin.inner(), thin.main().loads, 0, Face::upper, "balsa-100", SwapKeeps::strength, SwapBy::depth));
  EXPECT_FALSE(swapWood(w.inner(), w.main().loads, 0, Face::upper, "cheese", SwapKeeps::strength, SwapBy::depth));
}

} // namespace
} // namespace eup
