// The trial assembly: what is cut and told belongs together, and an error put in comes out with its sign and size.
#include "core/described/design_file.h"
#include "core/files/shipped.h"
#include "core/trials/trial_assembly.h"
#include "support.h"
#include <rapidcheck/gtest.h>

namespace eup {
namespace {

using test::wingOf;

const AssembledRib& ribOf(const Assembly& a, int number) {
  for (const AssembledPanel& p : a.panels)
    for (const AssembledRib& r : p.ribs)
      if (r.rib == number) return r;
  ADD_FAILURE() << "no R" << number;
  return a.panels.front().ribs.front();
}

TEST(Assembly, OfEveryDemoIsTheWingThatWasDecided) {
  for (const std::string& name : shipped::demoNames()) {
    const TrueWing w = wingOf(demoDesign(name));
    for (const WholeWing& wing : w.wings) {
      const Assembly a = assembled(wing);
      EXPECT_LT(a.off, 0.05) << name;
      EXPECT_LT(radToDeg(a.turned), 0.02) << name;
      EXPECT_LT(a.tipOff, 0.05) << name;
    }
  }
}

/// A notch too deep lets the rib down on its spar; its tail stays on the packing, so that it is turned by that over the
/// way from spar to tail.
TEST(Assembly, ANotchTooDeepLowersTheRib) {
  const TrueWing w = wingOf(Design{});
  for (const double by : {0.3, -0.2}) {
    const AssembledRib r = ribOf(assembled(w.main(), {{AssemblyFault::What::notch, 0, 5, by}}), 5);
    EXPECT_NEAR(r.up, -by, 0.01);
    const Rib& rib = w.inner().frame.ribs[4];
    const double way = rib.frame.chord - rib.sparX[0];
    EXPECT_NEAR(r.turned, std::atan(by / way), 0.02 * std::abs(by / way)) << "nose down where it is let down";
    EXPECT_NEAR(ribOf(assembled(w.main(), {{AssemblyFault::What::notch, 0, 5, by}}), 6).turned, 0, 1e-4);
  }
}

TEST(Assembly, PackingTooHighUnderTheTailWashesOut) {
  const TrueWing w = wingOf(demoDesign("tarnbrook-2000"));
  for (const int number : {4, 12}) {
    const TruePanel& p = w.main().panelAt(number);
    const Rib& rib = p.frame.ribs[static_cast<std::size_t>(number - p.design.firstRib)];
    const double way = rib.frame.chord - rib.sparX[0],
                 turned = ribOf(assembled(w.main(), {{AssemblyFault::What::packing, p.design.id.panel, number, 0.5}}),
                                number)
                              .turned;
    EXPECT_NEAR(turned, 0.5 / way, 0.03 * 0.5 / way);
  }
}

/// A brace bent half a degree too far lifts the tip of that half by a quarter of a degree over its length.
TEST(Assembly, ABraceBentTooFarLiftsTheTip) {
  const Design d;
  const TrueWing w = wingOf(d);
  const double by = degToRad(0.5), span = d.inner().panel.span;
  const Assembly right = assembled(w.main()), bent = assembled(w.main(), {{AssemblyFault::What::brace, 0, 1, by}});
  EXPECT_NEAR(bent.panels[0].gamma - w.inner().join.gamma, by / 2, 0.02 * by);
  EXPECT_NEAR(bent.panels[0].tip.z() - right.panels[0].tip.z(), span * by / 2, 0.03 * span * by / 2);
}

/// Random wings go together too.
RC_GTEST_PROP(Assembly, OfRandomWingsIsTheWing, ()) {
  const auto some = [](double low, double high) { return low + (high - low) * *rc::gen::inRange(0, 1001) / 1000.0; };
  Design d;
  d.inner().panel =
      test::panelOf(some(300, 900), some(150, 260), some(120, 200), some(-60, 150), some(-3, 3), some(0, 1));
  d.inner().spars[0].rootFraction = some(0.25, 0.4);
  d.inner().spars[0].tipFraction = some(0.25, 0.4);
  d.inner().sheeting.fraction = some(0.1, 0.6);
  d.inner().join.dihedral = {DihedralBy::angle, some(-3, 8)};
  const auto result = work(d);
  RC_PRE(std::holds_alternative<TrueWing>(result));
  const Assembly a = assembled(std::get<TrueWing>(result).main());
  RC_ASSERT(a.off < 0.05);
  RC_ASSERT(radToDeg(a.turned) < 0.02);
  RC_ASSERT(a.tipOff < 0.05);
}

} // namespace
} // namespace eup
