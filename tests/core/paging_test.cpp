// Prints: what fits on a sheet is never torn over two; one document tells what is where, and how many sheets it takes.
#include "core/described/design_file.h"
#include "core/drawing/paging.h"
#include "core/files/shipped.h"
#include "core/geometry/polyline.h"
#include "core/takeaway/take_away.h"
#include "support.h"
#include <rapidcheck/gtest.h>

namespace eup {
namespace {

using test::wingOf;

Drawing plate(double wide, double high, const std::string& label = {}) {
  Drawing d;
  d.loop(Layer::cut, {{0, 0}, {wide, 0}, {wide, high}, {0, high}});
  if (!label.empty()) d.write({1, 1}, label, 3);
  return d;
}

std::size_t cutsIn(const std::vector<Drawing>& sheets) {
  std::size_t n = 0;
  for (const Drawing& d : sheets)
    for (const Stroke& s : d.strokes) n += s.layer == Layer::cut;
  return n;
}

RC_GTEST_PROP(Packed, NothingIsLostTornOrOverlapping, ()) {
  const int n = *rc::gen::inRange(1, 40);
  std::vector<Drawing> parts;
  for (int i = 0; i < n; ++i) parts.push_back(plate(*rc::gen::inRange(5, 320), *rc::gen::inRange(3, 320)));
  const Point frame(180, 260);
  const auto sheets = packed(parts, frame, 5);
  RC_ASSERT(cutsIn(sheets) == parts.size());
  for (const Drawing& sheet : sheets) {
    const Box box = sheet.bounds();
    if (sheet.strokes.size() > 1) RC_ASSERT(box.width() <= 180.001 && box.height() <= 260.001);
    for (std::size_t i = 0; i < sheet.strokes.size(); ++i)
      for (std::size_t j = i + 1; j < sheet.strokes.size(); ++j) {
        const Box a = boundsOf(sheet.strokes[i].points), b = boundsOf(sheet.strokes[j].points);
        const bool apart = a.high.x() < b.low.x() - 4.9 || b.high.x() < a.low.x() - 4.9 ||
                           a.high.y() < b.low.y() - 4.9 || b.high.y() < a.low.y() - 4.9;
        RC_ASSERT(apart);
      }
  }
  // A part that fits, either way round, is not on a sheet that is larger than the page.
  for (const Drawing& sheet : sheets) {
    const Box box = sheet.bounds();
    const bool fits = box.width() <= 180 && box.height() <= 260, turned = box.height() <= 180 && box.width() <= 260;
    RC_ASSERT(fits || !turned);
  }
}

TEST(Packed, TurnsWhatFitsOnlyThatWayAndItsLetteringWithIt) {
  const auto sheets = packed({plate(250, 40, "brace")}, {180, 260}, 5);
  ASSERT_EQ(sheets.size(), 1u);
  EXPECT_NEAR(sheets[0].bounds().height(), 250, 1e-9);
  ASSERT_EQ(sheets[0].labels.size(), 1u);
  EXPECT_TRUE(sheets[0].labels[0].turned);
  const Box box = boundsOf(sheets[0].strokes[0].points);
  EXPECT_GT(sheets[0].labels[0].at.x(), box.low.x());
  EXPECT_LT(sheets[0].labels[0].at.x(), box.high.x()) << "still on its part";
}

TEST(Flowed, BlocksKeepTheirOrderAndAreNeverBroken) {
  std::vector<Drawing> blocks;
  for (int i = 0; i < 9; ++i) blocks.push_back(plate(100, 70));
  const auto sheets = flowed(blocks, {180, 260}, 5);
  EXPECT_EQ(sheets.size(), 3u) << "three of 70 and two gaps on each";
  for (const Drawing& s : sheets) EXPECT_LE(s.bounds().height(), 260);
  EXPECT_EQ(cutsIn(sheets), 9u);
}

/// Of every demo, on either paper: a part is on more than one page only when it is larger than a page.
TEST(Prints, NoPartThatFitsIsTorn) {
  for (const std::string& name : shipped::demoNames()) {
    const TrueWing w = wingOf(demoDesign(name));
    for (const Paper paper : {Paper::a4, Paper::letter}) {
      ExportOrder order;
      order.paper = paper;
      order.pieces = {PrintPiece::ribs, PrintPiece::gauges, PrintPiece::braces, PrintPiece::benchCard,
                      PrintPiece::strength};
      for (const PrintSection& s : sectionsOf(w, order)) {
        const Point frame = pageFrame(paper, s.sideways);
        const double longer = std::max(frame.x(), frame.y()), shorter = std::min(frame.x(), frame.y());
        for (const Drawing& d : s.drawings) {
          const Box box = d.bounds();
          if (box.width() <= frame.x() + 1e-6 && box.height() <= frame.y() + 1e-6) continue;
          // Larger than a page: then it is one part, and that part is.
          std::size_t cuts = 0;
          for (const Stroke& stroke : d.strokes) cuts += stroke.layer == Layer::cut;
          EXPECT_LE(cuts, 2u) << name << " " << d.title;
          EXPECT_TRUE(std::max(box.width(), box.height()) > longer || std::min(box.width(), box.height()) > shorter)
              << name << " " << d.title << " " << box.width() << " × " << box.height();
        }
      }
    }
  }
}

TEST(Prints, OneDocumentHasContentsAndItsTrueNumberOfSheets) {
  const TrueWing w = wingOf(demoDesign("fenlark-1500"));
  test::ScratchFolder folder;
  ExportOrder order;
  order.oneDocument = true;
  const auto written = exportWing(w, folder.path, order);
  ASSERT_TRUE(written.ok());
  ASSERT_EQ(written.value().size(), 1u);
  EXPECT_EQ(written.value().front().filename(), "fenlark-1500-bench.pdf");
  const std::string bytes = test::slurp(written.value().front());
  const int pages = sheetsOfPaper(w, order);
  std::size_t count = 0;
  for (std::size_t at = bytes.find("/Type /Page"); at != std::string::npos; at = bytes.find("/Type /Page", at + 1))
    count += bytes[at + 11] != 's'; // not the list of them
  EXPECT_EQ(count, static_cast<std::size_t>(pages));
  // Less is asked for, less is printed.
  order.pieces = {PrintPiece::gauges};
  order.hands = {Hand::left};
  const int few = sheetsOfPaper(w, order);
  EXPECT_LT(few, pages / 3);
  order.panels = {7};
  EXPECT_EQ(sheetsOfPaper(w, order), 0) << "there is no such panel";
  EXPECT_TRUE(exportWing(w, folder.path, order).value().empty());
}

TEST(Prints, FilesAreAsManyAsPiecesHandsAndFormats) {
  const TrueWing w = wingOf(demoDesign("fenlark-1500"));
  test::ScratchFolder folder;
  ExportOrder order;
  order.pieces = {PrintPiece::ribs, PrintPiece::plan};
  order.formats = {ExportFormat::pdf, ExportFormat::svg};
  EXPECT_EQ(exportWing(w, folder.path, order).value().size(), 8u);
  order.oneDocument = true;
  EXPECT_EQ(exportWing(w, folder.path, order).value().size(), 5u) << "one PDF, and four SVG";
}

} // namespace
} // namespace eup
