// Pieces, joints and the order of work: every demo and wings by chance are played step by step.
#include "core/assembly/bond.h"
#include "core/steps/order.h"
#include "core/steps/steps.h"
#include "core/wing/joints.h"
#include "core/files/shipped.h"
#include "core/described/design_file.h"
#include "support.h"
#include <set>

namespace eup {
namespace {

TEST(PieceIds, AreWrittenAndReadBack) {
  std::set<std::string> seen;
  const auto there = [&](const PieceId& id) {
    const std::string text = textOf(id);
    EXPECT_TRUE(seen.insert(text).second) << text << " names two pieces";
    EXPECT_EQ(pieceIdFrom(text), id) << text;
  };
  for (const std::string& name : shipped::demoNames()) {
    seen.clear();
    const TrueWing w = wingOf(designFromText(shipped::demo(name).value()).value().design);
    for (const WholeWing& wing : w.wings)
      for (const TruePanel& p : wing.panels) {
        seen.clear();
        for (const Part& part : p.parts) there(part.id);
      }
  }
  for (const char* text : {"rib.4", "rib.4.2", "rib.4x", "rib.4.tail1", "rib.4.2.tail1", "capStrip.4.2.top.aft", "te", "te.2",
                           "te.top", "te.bottom.3", "sheet.top", "sheet.top.2", "sheet.panel", "sheet.edge", "bays.3.bottom.1",
                           "surface.2.bays.3.top.1", "surface.1.hinge.4.wing", "foamRib.inner", "foamRib.2", "web.1", "web.1.6",
                           "spar.1.top.doubler.outer", "hardPoint.1.doubler.4", "stick.3.upright.2", "post.rear"}) {
    const auto id = pieceIdFrom(text);
    ASSERT_TRUE(id) << text;
    EXPECT_EQ(textOf(*id), text);
  }
  for (const char* text : {"", "rib", "rib.", "rib.4.", "rib.04", "rib.99999999999999999999", "spar.1.side", "te.", "te.0",
                           "sheet.top.", "web.1.6.2", "rib.4\n", "own.1"})
    EXPECT_FALSE(pieceIdFrom(text)) << text;
}

/// Who plays: the contradictions of a wing's own steps.
void playsThrough(const Design& d) {
  const TrueWing w = wingOf(d);
  for (const std::string& what : contradictionsIn(w, stepsOf(w))) ADD_FAILURE() << d.name << ": " << what;
}

TEST(Assembly, EveryDemoPlaysThrough) {
  for (const std::string& name : shipped::demoNames())
    playsThrough(designFromText(shipped::demo(name).value()).value().design);
}

} // namespace
} // namespace eup
