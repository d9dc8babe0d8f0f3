#include "core/drawing/paging.h"
#include "core/exchange/dxf_writer.h"
#include "core/exchange/svg_writer.h"
#include "core/files/shipped.h"
#include "core/geometry/polyline.h"
#include "core/takeaway/take_away.h"
#include "support.h"
#include <pugixml.hpp>
#include <rapidcheck/gtest.h>

namespace eup {
namespace {

using test::wingOf;

double cutArea(const Drawing& d) {
  double sum = 0;
  for (const Stroke& s : d.strokes)
    if (s.layer == Layer::cut && s.closed) sum += std::abs(signedArea(s.points));
  return sum;
}

RC_GTEST_PROP(Hands, LeftIsTheMirrorOfRight, ()) {
  Design d;
  d.inner().panel.rootChord = *rc::gen::inRange(150, 300);
  d.inner().panel.washoutDeg = *rc::gen::inRange(0, 5);
  const TrueWing w = wingOf(d);
  for (const auto& draw : {&planDrawing}) {
    Drawing right = draw(test::drawn(w), Hand::right), left = draw(test::drawn(w), Hand::left);
    RC_ASSERT(right.strokes.size() == left.strokes.size());
    const double sum = right.bounds().low.x() + right.bounds().high.x();
    for (std::size_t i = 0; i < right.strokes.size(); ++i)
      for (std::size_t k = 0; k < right.strokes[i].points.size(); ++k) {
        const Point &a = right.strokes[i].points[k], &b = left.strokes[i].points[k];
        // Lettering may be a little wider on one side; wood must mirror about one line for all.
        const double line = a.x() + b.x();
        const double first = right.strokes[0].points[0].x() + left.strokes[0].points[0].x();
        RC_ASSERT(std::abs(line - first) < 1e-9 && std::abs(line - sum) < 40);
        RC_ASSERT(std::abs((a.y() - right.strokes[0].points[0].y()) - (b.y() - left.strokes[0].points[0].y())) < 1e-9);
      }
  }
  for (const Rib& rib : w.inner().frame.ribs) {
    const Drawing right = ribDrawing(test::drawn(w).front(), rib, Hand::right),
                  left = ribDrawing(test::drawn(w).front(), rib, Hand::left);
    RC_ASSERT(std::abs(cutArea(right) - cutArea(left)) < 1e-9);
    for (std::size_t k = 0; k < right.strokes[0].points.size(); ++k)
      RC_ASSERT(right.strokes[0].points[k].x() == -left.strokes[0].points[k].x());
  }
}

TEST(Hands, AreWrittenLarge) {
  const TrueWing w = wingOf(Design{});
  for (const auto& [hand, word, other] :
       {std::tuple(Hand::right, "RIGHT", "LEFT"), std::tuple(Hand::left, "LEFT", "RIGHT")}) {
    for (const Drawing& d : {planDrawing(test::drawn(w), hand), stacked(benchCard(w.main(), w.inner(), hand), 5),
                             ribSheets(test::drawn(w), hand, 500, 0).front()}) {
      int found = 0;
      for (const Label& l : d.labels) {
        found += l.text.find(word) != std::string::npos;
        EXPECT_EQ(l.text.find(other), std::string::npos);
      }
      EXPECT_GE(found, 1) << d.title;
    }
  }
}

TEST(RibSheets, KeepPartsApartAndWithinTheSheet) {
  const TrueWing w = wingOf(Design{});
  const auto sheets = ribSheets(test::drawn(w), Hand::right, 277, 180);
  double sum = 0;
  for (const Drawing& sheet : sheets) {
    EXPECT_LE(sheet.bounds().width(), 277.01);
    EXPECT_LE(sheet.bounds().height(), 180.01);
    sum += cutArea(sheet);
    std::vector<Box> boxes;
    for (const Stroke& s : sheet.strokes)
      if (s.layer == Layer::cut) boxes.push_back(boundsOf(s.points));
    for (std::size_t i = 0; i < boxes.size(); ++i)
      for (std::size_t j = i + 1; j < boxes.size(); ++j)
        EXPECT_TRUE(boxes[i].high.x() < boxes[j].low.x() || boxes[j].high.x() < boxes[i].low.x() ||
                    boxes[i].high.y() < boxes[j].low.y() || boxes[j].high.y() < boxes[i].low.y());
  }
  double want = 0;
  for (const Rib& r : w.inner().frame.ribs) want += r.cutArea;
  EXPECT_NEAR(sum, want, 1e-6 * want);
}

TEST(Svg, IsInMillimetresOnNamedLayers) {
  const TrueWing w = wingOf(Design{});
  const Drawing d = planDrawing(test::drawn(w), Hand::right);
  pugi::xml_document doc;
  ASSERT_TRUE(doc.load_string(toSvg(d).c_str()));
  const auto svg = doc.child("svg");
  EXPECT_NEAR(std::stod(svg.attribute("width").value()), d.bounds().width() + 10, 0.001);
  EXPECT_TRUE(std::string(svg.attribute("width").value()).ends_with("mm"));
  for (const char* layer : {"cut", "mark", "text"}) EXPECT_TRUE(svg.find_child_by_attribute("g", "id", layer)) << layer;
}

TEST(Svg, EscapesNames) {
  Design d;
  d.name = "A <b> & \"c\"";
  pugi::xml_document doc;
  EXPECT_TRUE(doc.load_string(toSvg(planDrawing(test::drawn(wingOf(d)), Hand::left)).c_str()));
}

TEST(Pdf, PageCountsFollowTheOverlap) {
  Drawing d;
  d.loop(Layer::cut, rectangle({0, 0}, {10, 10}));
  const Point frame = pageFrame(Paper::a4, false);
  EXPECT_EQ(pageCount({d}, Paper::a4, false), 2) << "key page and one";
  d.loop(Layer::cut, rectangle({0, 0}, {frame.x() + 1, 10}));
  EXPECT_EQ(pageCount({d}, Paper::a4, false), 3);
  d.loop(Layer::cut, rectangle({0, 0}, {2 * frame.x() - pageOverlap, 10}));
  EXPECT_EQ(pageCount({d}, Paper::a4, false), 3) << "two frames less their overlap";
  d.loop(Layer::cut, rectangle({0, 0}, {2 * frame.x() - pageOverlap + 1, 10}));
  EXPECT_EQ(pageCount({d}, Paper::a4, false), 4);
  EXPECT_FALSE(toPdf(std::vector<Drawing>{}, Paper::a4, false).ok());
  // Ink in two opposite corners: the pages at the other two would be empty, and are not printed.
  Drawing corners;
  corners.loop(Layer::cut, rectangle({0, 0}, {10, 10}));
  corners.loop(Layer::cut, rectangle({1.5 * frame.x(), 1.5 * frame.y()}, {1.5 * frame.x() + 10, 1.5 * frame.y() + 10}));
  EXPECT_EQ(pageCount({corners}, Paper::a4, false), 3);
  corners.line(Layer::mark, {0, 1.5 * frame.y()}, {2, 1.5 * frame.y()});
  EXPECT_EQ(pageCount({corners}, Paper::a4, false), 4);
}

TEST(TakeAway, WritesEveryFileOrSaysWhyNot) {
  const test::ScratchFolder folder;
  const TrueWing w = wingOf(Design{});
  ExportOrder order;
  order.formats = {ExportFormat::pdf, ExportFormat::svg, ExportFormat::dxf};
  const auto written = exportWing(w, folder.path / "new folder", order);
  ASSERT_TRUE(written.ok()) << written.problem().text();
  EXPECT_EQ(written.value().size(), 63u);
  for (const auto& path : written.value()) EXPECT_GT(std::filesystem::file_size(path), 500u) << path;
  EXPECT_FALSE(exportWing(w, "/proc/none", order).ok());
  const auto stopped = exportWing(w, folder.path, order, [](double share) { return share < 0.3; });
  EXPECT_FALSE(stopped.ok());
  EXPECT_EQ(fileNameOf("A  wing: /../x"), "a-wing-x");
  EXPECT_NE(fileNameOf("Möwe"), fileNameOf("Müwe")) << "letters that a file name cannot have tell them apart";
  EXPECT_TRUE(fileNameOf("Möwe").starts_with("m-we-"));
  EXPECT_NE(fileNameOf(std::string(70, 'a')), fileNameOf(std::string(71, 'a')));
  EXPECT_EQ(fileNameOf("///"), "wing");
}

} // namespace
} // namespace eup
