// The whole way once, as a builder goes it; also run in a real window.
#include "core/files/text_file.h"
#include "driver.h"

namespace eup::app::test {
namespace {

class Flow : public WindowTest {};

TEST_F(Flow, TypeSeeDragUndoExportReopen) {
  // Type decisions, see figures change.
  stage(3);
  const double before = figure("panel.area");
  type("panel.span", "30 in");
  EXPECT_NEAR(design().inner().panel.span, 762, 1e-9);
  EXPECT_EQ(shown("panel.span"), "762");
  type("panel.tipChord", "6 1/2\"");
  EXPECT_NEAR(design().inner().panel.tipChord, 165.1, 1e-9);
  EXPECT_GT(figure("panel.area"), before);
  EXPECT_TRUE(follows().tells("panel.area"));
  EXPECT_FALSE(follows().movedBy("panel.area").isEmpty()) << "what moved is shown";

  // Drag a rib; it is one step back.
  const double station = window->document().wing().inner().frame.ribs[4].t();
  drag("rib R5", {30, 0});
  EXPECT_GT(window->document().wing().inner().frame.ribs[4].t(), station + 5);
  EXPECT_EQ(design().inner().ribs.rule, RibRule::stations);
  EXPECT_EQ(window->document().undoName(), "Move rib R5");
  QTest::keyClick(window.get(), Qt::Key_Z, Qt::ControlModifier);
  EXPECT_DOUBLE_EQ(window->document().wing().inner().frame.ribs[4].t(), station);
  QTest::keyClick(window.get(), Qt::Key_Z, Qt::ControlModifier | Qt::ShiftModifier);
  EXPECT_GT(window->document().wing().inner().frame.ribs[4].t(), station + 5);

  // Take it away.
  QTemporaryDir out;
  ExportOrder order;
  order.formats = {ExportFormat::pdf, ExportFormat::svg, ExportFormat::dxf};
  ASSERT_TRUE(window->exportTo(out.path(), order));
  EXPECT_EQ(QDir(out.path()).entryList(QDir::Files).size(), 69);
  EXPECT_TRUE(window->message().contains("69 files"));

  // Save, change, reopen.
  const QString path = out.filePath("mine.euptera");
  ASSERT_TRUE(window->saveTo(path));
  EXPECT_FALSE(window->document().modified());
  const Design saved = design();
  type("panel.rootChord", "9 in");
  EXPECT_TRUE(window->document().modified());
  window->newWing();
  ASSERT_TRUE(window->openFile(path));
  EXPECT_EQ(design(), saved);
  EXPECT_EQ(window->recentFiles().front(), path);
}

} // namespace
} // namespace eup::app::test
