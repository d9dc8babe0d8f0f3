// What is told of surfaces outside the core: files, the command line, prints.
#include "cli/commands.h"
#include "core/described/design_file.h"
#include "core/drawing/wing_drawings.h"
#include "core/files/json.h"
#include "core/geometry/polyline.h"
#include "core/takeaway/take_away.h"
#include "places.h"
#include "surface_designs.h"

namespace eup {
namespace {

using test::figureOf;
using test::wingOf;
using test::withServo;

// A file of the version before had none of this: it is read as it was, and built as it was.
TEST(SurfacesTold, OlderFilesHaveNone) {
  const auto read = designFromText(test::slurp(test::testFile("version16.euptera")));
  ASSERT_TRUE(read.ok()) << read.problem().text();
  EXPECT_TRUE(read.value().notes.empty()) << read.value().notes.front();
  const Design& d = read.value().design;
  ASSERT_EQ(d.wings.front().panels.size(), 2U);
  EXPECT_EQ(d.wings.front().panels[1].inCore.size(), 4U);
  EXPECT_TRUE(d.own.servos.empty());
  for (const PanelDesign& p : d.wings.front().panels) {
    EXPECT_TRUE(p.surfaces.empty() && p.runs.empty() && p.hardPoints.empty());
    EXPECT_EQ(p.lightening, Lightening{});
  }
  const TrueWing w = wingOf(d);
  for (const TruePanel& p : w.main().panels) EXPECT_TRUE(p.surfaces.empty());
}

// What the command line tells is what the core computed: the pieces of a rib in it fill the rib again.
TEST(SurfacesTold, ToldOnTheCommandLine) {
  const test::ScratchFolder folder;
  const std::string path = (folder.path / "wing.euptera").string();
  std::ofstream(path) << designToText(withServo());
  std::ostringstream out, err;
  ASSERT_EQ(cli::run({"surfaces", path, "--json"}, out, err), cli::fine) << err.str();
  const auto root = test::jsonOf(out.str());
  ASSERT_EQ(root["surfaces"].size(), 1U);
  const auto& s = root["surfaces"][0];
  EXPECT_EQ(s["kind"], "aileron");
  EXPECT_EQ(s["hand"], "right and left");
  EXPECT_EQ(s["ribs"].size(), 6U);
  const auto areaOfLoops = [](const nlohmann::json& loops) {
    double sum = 0;
    for (const auto& loop : loops)
      for (std::size_t i = 0; i < loop.size(); ++i) {
        const auto &a = loop[i], &b = loop[(i + 1) % loop.size()];
        sum += (a[0].get<double>() * b[1].get<double>() - b[0].get<double>() * a[1].get<double>()) / 2;
      }
    return sum;
  };
  for (const auto& rib : s["ribs"]) {
    const double whole = areaOfLoops(rib["whole"]), left = areaOfLoops(rib["wing"]) + areaOfLoops(rib["tail"]);
    EXPECT_LT(left, whole);
    EXPECT_GT(left, 0.8 * whole);
  }
  EXPECT_GT(s["drive"]["rod"].get<double>(), 20);
  std::ostringstream text;
  ASSERT_EQ(cli::run({"surfaces", path}, text, err), cli::fine);
  EXPECT_NE(text.str().find("Length: aileron"), std::string::npos);
}

// Every print of it comes, in both hands, full size: a facing is as long as it is told.
TEST(SurfacesTold, Prints) {
  Design d = withServo();
  d.inner().surfaces[0].built = SurfaceBuilt::apart;
  const TrueWing w = wingOf(d);
  const DrawnWing drawn_ = test::drawn(w);
  const auto prints = surfacePrints(drawn_.front(), Hand::right), left = surfacePrints(drawn_.front(), Hand::left);
  EXPECT_EQ(prints.size(), left.size());
  EXPECT_GE(prints.size(), 1U + 2 + 2 + 6 + 1); // facings, ends, gauges, tails, linkage
  double longest = 0;
  for (const Drawing& one : prints)
    for (const Stroke& stroke : one.strokes)
      if (stroke.layer == Layer::cut) longest = std::max(longest, boundsOf(stroke.points).width());
  EXPECT_NEAR(longest, figureOf(w, "surface.1.length"), 1e-6);
}

} // namespace
} // namespace eup
