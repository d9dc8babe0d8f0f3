// The section stage in the window: kinds, changes, handles, catalogue, comparing, writing.
#include "app/decide/section_tools.h"
#include "driver.h"

namespace eup::app::test {
namespace {

class SectionStage : public WindowTest {
protected:
  SectionStage() { stage(2); }
};

TEST_F(SectionStage, DrawsAFlatUndersideFromItsNumbers) {
  choose("sections.root.kind", "flatUnderside");
  type("sections.root.thickness", "10");
  type("sections.root.noseRadius", "1");
  EXPECT_NEAR(figure("section.root.thickness"), 0.10 * 236, 0.5);
  EXPECT_GT(figure("section.root.flatRun"), 0.9 * 236);
  EXPECT_TRUE(isDrawn(*board()));
  choose("sections.root.kind", "curvedPlate");
  EXPECT_GT(figure("section.root.undercamber"), 5);
  for (const char* kind : {"flatPlate", "symmetrical", "listed", "traced"}) {
    choose("sections.root.kind", kind);
    EXPECT_TRUE(isDrawn(*board())) << kind;
  }
  bool told = false; // nothing was traced yet: said, and the wing still stands
  for (const Finding& f : window->document().findings()) told = told || f.key == "section.trace";
  EXPECT_TRUE(told);
}

TEST_F(SectionStage, ChangesAreStepsThatCanBeTakenBack) {
  const double before = figure("section.root.thickness");
  auto* kinds = find<QComboBox>("stepKind");
  kinds->setCurrentIndex(0);
  press("addStep");
  EXPECT_NEAR(figure("section.root.thickness"), before, 0.01); // adding alone moves nothing
  type("sections.root.steps.0.thickness", "16");
  EXPECT_NEAR(figure("section.root.thickness"), 0.16 * 236, 0.01);
  EXPECT_GT(figure("section.root.step1.moved"), 3);
  QTest::mouseClick(find<QCheckBox>("sections.root.steps.0.on"), Qt::LeftButton, {}, {8, 8});
  EXPECT_NEAR(figure("section.root.thickness"), before, 0.01);
  press("dropStep");
  EXPECT_TRUE(design().inner().sections.root.steps.empty());
  EXPECT_EQ(design().inner().sections.root.naca, "2413");
}

TEST_F(SectionStage, TheCrestTheTailAndThePointsAreDragged) {
  const double before = figure("section.root.thickness");
  drag("thickness crest", {0, -12});
  EXPECT_GT(figure("section.root.thickness"), before + 1);
  EXPECT_EQ(design().inner().sections.root.steps.at(0).kind, StepKind::thickness);
  drag("trailing edge", {0, -6});
  EXPECT_GT(figure("section.root.tailThickness"), 1.5);
  window->document().undo();
  window->document().undo();
  EXPECT_TRUE(design().inner().sections.root.steps.empty());
  choose("sections.root.kind", "listed");
  const Point was = design().inner().sections.root.listed.upper[1];
  drag("upper point 2", {0, -10});
  EXPECT_GT(design().inner().sections.root.listed.upper[1].y(), was.y());
}

TEST_F(SectionStage, TracedPointsAreDragged) {
  window->openDemo("fenlark-plan");
  ASSERT_TRUE(window->document().planImages().settle(20000));
  stage(2);
  QApplication::processEvents();
  press("traceFromPlan");
  EXPECT_EQ(design().inner().sections.root.kind, SectionKind::traced);
  EXPECT_LT(figure("section.root.trace.rms"), 0.3);
  EXPECT_TRUE(isDrawn(*board()));
  const Polyline was = design().inner().sections.root.traced.upper;
  drag("upper point 10", {0, -8});
  EXPECT_NE(design().inner().sections.root.traced.upper, was);
  EXPECT_EQ(window->document().undoName(), "Move upper point 10");
}

TEST_F(SectionStage, AThirdSectionIsLaidOver) {
  const QImage before = board()->grab().toImage();
  type("compareWith", "0015");
  EXPECT_EQ(window->standpoint().compareWith(), "0015");
  EXPECT_NE(before, board()->grab().toImage());
  type("compareWith", "nonsense");
  EXPECT_EQ(window->standpoint().compareWith(), "0015");
  window->standpoint().setRib(6); // the loft there is laid over too
  EXPECT_TRUE(isDrawn(*board()));
  tab("Tip section");
  EXPECT_TRUE(window->standpoint().tipSection());
  press("asOther");
  EXPECT_EQ(design().inner().sections.tip, design().inner().sections.root);
}

TEST_F(SectionStage, TheCatalogueIsSearched) {
  QTimer::singleShot(300, [] {
    auto* dialog = qobject_cast<CatalogueDialog*>(QApplication::activeModalWidget());
    ASSERT_NE(dialog, nullptr);
    QTimer::singleShot(5000, dialog, &QDialog::reject); // never waits for ever
    dialog->findChild<QLineEdit*>("thicknessFrom")->setText("9");
    dialog->findChild<QLineEdit*>("thicknessTo")->setText("10");
    dialog->findChild<QCheckBox*>("flatUnderside")->setChecked(true);
    auto* table = dialog->findChild<QTableWidget*>("catalogueTable");
    EXPECT_GT(table->rowCount(), 0);
    EXPECT_LT(table->rowCount(), 12);
    dialog->findChild<QLineEdit*>("catalogueWords")->setText("flat underside 10");
    EXPECT_EQ(table->rowCount(), 1);
    dialog->accept();
  });
  press("catalogue");
  EXPECT_EQ(design().inner().sections.root.kind, SectionKind::flatUnderside);
  EXPECT_NEAR(design().inner().sections.root.drawn.thickness, 0.10, 1e-9);
}

TEST_F(SectionStage, IsWrittenAsSheetAndAsCoordinates) {
  QTemporaryDir dir;
  for (const char* name : {"s.pdf", "s.svg", "s.dxf", "s.dat"})
    EXPECT_TRUE(window->writeSectionTo(true, dir.filePath(name), CoordinateLayout::loop)) << name;
  EXPECT_TRUE(window->importCoordinates("tip", dir.filePath("s.dat")));
  EXPECT_NEAR(figure("section.tip.thickness") / 168, figure("section.root.thickness") / 236, 1e-4);
  EXPECT_FALSE(window->writeSectionTo(true, "/proc/none.dat", CoordinateLayout::loop));
}

} // namespace
} // namespace eup::app::test
