// The plan stage in the window: opened, made true, read, judged and used with pointer and keys.
#include "app/boards/plan_board.h"
#include "app/decide/plan_panel.h"
#include "core/described/design_file.h"
#include "core/edit/plan_use.h"
#include "core/files/json.h"
#include "core/files/text_file.h"
#include "driver.h"
#include "endless_plan.h"
#include "places.h"

namespace eup::app::test {
namespace {

const QString cleanPlan = QString::fromStdString(eup::test::sourceFile("data/demos/fenlark-plan.png"));

nlohmann::json truth() {
  QFile f(QString::fromStdString(eup::test::testFile("fenlark-plan-truth.json")));
  EXPECT_TRUE(f.open(QIODevice::ReadOnly));
  return nlohmann::json::parse(f.readAll().toStdString());
}

class PlanStage : public WindowTest {
protected:
  PlanStage() {
    window->newWing();
    stage(1);
  }
  PlanBoard* plan() const { return qobject_cast<PlanBoard*>(window->board(Stage::plan)); }
  void page(const char* name) {
    settle();
    for (QToolButton* b : window->findChildren<QToolButton*>())
      if (b->objectName() == QString("planTab %1").arg(name)) QTest::mouseClick(b, Qt::LeftButton);
    settle();
  }
  static void settle() {
    for (int i = 0; i < 4; ++i) {
      QApplication::processEvents();
      QApplication::sendPostedEvents(nullptr, QEvent::DeferredDelete);
    }
  }
  void open(const QString& path) {
    window->plan().openPlan(path);
    ASSERT_TRUE(window->document().planImages().settle(20000));
    settle();
  }
  /// Brings a true pixel of the sheet to the middle of the board, closely, and clicks a little beside it.
  void click(const nlohmann::json& pixel, double offX = 3, double offY = -2) {
    const LaidSheet& sheet = window->document().wing().plan.sheets.at(0);
    const Point at = sheet.mm(Point(pixel[0], pixel[1]));
    plan()->centreOn(at, 6);
    const Point beside = sheet.mm(Point(double(pixel[0]) + offX, double(pixel[1]) + offY));
    const QPoint p = plan()->screen(beside).toPoint();
    QTest::mouseMove(plan(), p);
    QTest::mouseClick(plan(), Qt::LeftButton, {}, p);
    settle();
  }
  void startReading(const char* kind) {
    choose("readingKind", kind);
    settle();
    if (plan()->tool() == PlanTool::none) pressTool("startReading");
    ASSERT_EQ(plan()->tool(), PlanTool::read);
  }
  void pressTool(const char* name) {
    settle();
    press(name);
    settle();
  }
  void calibrate() {
    const auto lengths = truth()["lengths"];
    page("Make true");
    for (std::size_t i = 0; i < lengths.size(); ++i) {
      pressTool("toolKnown");
      for (const auto& p : lengths[i]["pixels"]) click(p);
      type(QString("known%1").arg(i).toUtf8().constData(),
           QString::number(lengths[i]["length"].get<double>()).toUtf8().constData());
      settle();
    }
    pressTool("toolLevel");
    const auto level = truth()["level"];
    for (const auto& p : level) click(p, 0, 2);
  }
};

TEST_F(PlanStage, TeachesWhenThereIsNoPlan) {
  EXPECT_EQ(find<QPushButton>("openPlan")->text(), "Open a plan…");
  EXPECT_TRUE(isDrawn(*window->board(Stage::plan)));
  window->plan().openPlan("/no/such/plan.png");
  window->document().planImages().settle(5000);
  EXPECT_TRUE(window->message().contains("not there")) << window->message().toStdString();
}

TEST_F(PlanStage, IsMadeTrueAndReadAsAPersonDoes) {
  open(cleanPlan);
  ASSERT_EQ(design().plan.sheets.size(), 1u);
  EXPECT_NEAR(design().plan.sheets[0].dpi, 150, 0.1);
  calibrate();
  ASSERT_EQ(design().plan.sheets[0].lengths.size(), 3u);
  EXPECT_EQ(window->document().wing().plan.sheets[0].sheet.seen, Seen::twoScalesSkew);
  for (double r : window->document().wing().plan.sheets[0].sheet.residuals) EXPECT_NEAR(r, 0, 0.1);
  EXPECT_TRUE(find<QLabel>("printVerdict")->text().contains("true to scale both ways"));

  page("Read");
  const auto t = truth();
  for (const auto& [kind, key] : {std::pair("leadingEdge", "lePixel"), std::pair("trailingEdge", "tePixel")}) {
    startReading(kind);
    for (const auto& rib : t["right"]["ribs"]) click(rib[key]);
    QTest::keyClick(plan(), Qt::Key_Escape);
  }
  ASSERT_EQ(design().plan.readings.size(), 26u)
      << nameOf(design().plan.readings.back()) << plan()->instruction().toStdString();
  EXPECT_EQ(nameOf(design().plan.readings[25]), "TE R13");
  const JudgedPlan& judged = window->document().wing().plan;
  ASSERT_EQ(judged.hands.size(), 1u);
  for (std::size_t i = 0; i < 13; ++i) {
    EXPECT_NEAR(judged.hands[0].stations[i].second, t["right"]["ribs"][i]["t"].get<double>(), 0.2) << i;
    EXPECT_NEAR(judged.hands[0].trailing[i].x - judged.hands[0].leading[i].x,
                t["right"]["ribs"][i]["chord"].get<double>(), 0.2)
        << i;
  }

  // Every reading is undone by its name, and redone.
  EXPECT_EQ(window->document().undoName(), "Read TE R13");
  window->document().undo();
  EXPECT_EQ(design().plan.readings.size(), 25u);
  window->document().redo();

  page("Use");
  const double before = design().inner().panel.span;
  EXPECT_GE(find<QTableWidget>("usedChanges")->rowCount(), 4);
  press("useReadings");
  settle();
  EXPECT_NE(design().inner().panel.span, before);
  EXPECT_NEAR(design().inner().panel.span, 750, 0.3);
  EXPECT_NEAR(design().inner().panel.rootChord, 240, 0.3);
  EXPECT_EQ(design().inner().ribs.count, 13);
  EXPECT_EQ(window->document().undoName(), "Use the plan's readings");
  window->document().undo();
  EXPECT_EQ(design().inner().panel.span, before);
}

TEST_F(PlanStage, IsReadByKeyboardAlone) {
  open(cleanPlan);
  page("Read");
  choose("readingKind", "length");
  settle();
  plan()->setFocus();
  plan()->setSnapping(false);
  QTest::keyClick(plan(), Qt::Key_Space);
  for (int i = 0; i < 10; ++i) QTest::keyClick(plan(), Qt::Key_Right, Qt::ShiftModifier);
  QTest::keyClick(plan(), Qt::Key_Right);
  QTest::keyClick(plan(), Qt::Key_Right, Qt::AltModifier);
  QTest::keyClick(plan(), Qt::Key_Space);
  settle();
  ASSERT_EQ(design().plan.readings.size(), 1u);
  const double pixel = window->document().wing().plan.sheets[0].sheet.along;
  EXPECT_NEAR(valueOf(design().plan.readings[0], window->document().wing().plan.sheets).value, 101.1 * pixel, 1e-6);
  // An outline is finished by Enter; Backspace takes one point back.
  choose("readingKind", "tip");
  plan()->setFocus();
  for (int k = 0; k < 4; ++k) {
    QTest::keyClick(plan(), Qt::Key_Space);
    QTest::keyClick(plan(), Qt::Key_Up, Qt::ShiftModifier);
  }
  QTest::keyClick(plan(), Qt::Key_Backspace);
  QTest::keyClick(plan(), Qt::Key_Return);
  settle();
  ASSERT_EQ(design().plan.readings.size(), 2u);
  EXPECT_EQ(design().plan.readings[1].points.size(), 3u);
  QTest::keyClick(plan(), Qt::Key_Escape);
  EXPECT_EQ(plan()->tool(), PlanTool::none);
}

TEST_F(PlanStage, ReadingsAreListedNamedEditedAndTakenOut) {
  window->openDemo("fenlark-plan");
  ASSERT_TRUE(window->document().planImages().settle(20000));
  page("Read");
  auto* table = find<QTableWidget>("readings");
  const int count = table->rowCount();
  EXPECT_EQ(count, static_cast<int>(design().plan.readings.size()));
  table->setCurrentCell(0, 0);
  settle();
  type("readingName", "LE at the root");
  settle();
  EXPECT_EQ(nameOf(design().plan.readings[0]), "LE at the root");
  const double was = find<QLineEdit>("readingValue")->text().toDouble();
  type("readingValue", QString::number(was + 1.5).toUtf8().constData());
  settle();
  EXPECT_NEAR(valueOf(design().plan.readings[0], window->document().wing().plan.sheets).value, was + 1.5, 0.01);
  type("readingValue", "rubbish");
  EXPECT_TRUE(window->message().contains("rubbish"));
  settle();
  press("dropReading");
  settle();
  EXPECT_EQ(static_cast<int>(design().plan.readings.size()), count - 1);
  for (int i = 0; i < 3; ++i) window->document().undo();
  EXPECT_EQ(static_cast<int>(design().plan.readings.size()), count);
}

TEST_F(PlanStage, AReadingIsDraggedAndNudgedOnTheBoard) {
  window->openDemo("fenlark-plan");
  ASSERT_TRUE(window->document().planImages().settle(20000));
  const Point before = design().plan.readings[0].points[0];
  plan()->fit();
  drag("LE R1", {12, -7});
  EXPECT_GT((design().plan.readings[0].points[0] - before).norm(), 3);
  EXPECT_EQ(window->document().undoName(), "Move LE R1");
  window->document().undo();
  EXPECT_EQ(design().plan.readings[0].points[0], before);
  const Plan was = design().plan;
  plan()->setFocus();
  QTest::keyClick(plan(), Qt::Key_Period);
  QTest::keyClick(plan(), Qt::Key_Right);
  EXPECT_NE(design().plan, was);
}

TEST_F(PlanStage, JudgementsAreTakenOrLeft) {
  window->openDemo("fenlark-faulty-plan");
  ASSERT_TRUE(window->document().planImages().settle(20000));
  page("Judge");
  press("leave spacing");
  settle();
  EXPECT_FALSE(window->document().wing().plan.layout.evenRibs.has_value());
  press("take spacing");
  settle();
  EXPECT_TRUE(window->document().wing().plan.layout.evenRibs.has_value());
  EXPECT_TRUE(find<QToolButton>("planTab Judge")->text().contains("5"));
  EXPECT_TRUE(find<QToolButton>("stage1")->accessibleName().contains("finding"));
}

TEST_F(PlanStage, TheFileIsLinkedByRelativePathAndItsLossLosesNothing) {
  QTemporaryDir dir;
  QDir(dir.path()).mkpath("plans");
  const QString copy = dir.filePath("plans/plan.png");
  ASSERT_TRUE(QFile::copy(cleanPlan, copy));
  open(copy);
  page("Read");
  startReading("leadingEdge");
  click(truth()["right"]["ribs"][0]["lePixel"]);
  ASSERT_EQ(design().plan.readings.size(), 1u);
  ASSERT_TRUE(window->saveTo(dir.filePath("wing.euptera")));
  EXPECT_EQ(design().plan.sheets[0].file, "plans/plan.png");
  EXPECT_FALSE(window->document().modified());
  // Moved together, it is found again.
  QTemporaryDir other;
  QDir(other.path()).mkpath("plans");
  QFile::copy(copy, other.filePath("plans/plan.png"));
  QFile::copy(dir.filePath("wing.euptera"), other.filePath("wing.euptera"));
  ASSERT_TRUE(window->openFile(other.filePath("wing.euptera")));
  ASSERT_TRUE(window->document().planImages().settle(20000));
  EXPECT_NE(window->document().planImages().image(0), nullptr);
  EXPECT_TRUE(window->document().planImages().trouble(0).isEmpty());
  // Changed: said so, shown nevertheless.
  QFile::remove(other.filePath("plans/plan.png"));
  QFile::copy(QString::fromStdString(eup::test::testFile("plans/L.png")), other.filePath("plans/plan.png"));
  ASSERT_TRUE(window->openFile(other.filePath("wing.euptera")));
  window->newWing();
  ASSERT_TRUE(window->openFile(other.filePath("wing.euptera")));
  ASSERT_TRUE(window->document().planImages().settle(20000));
  EXPECT_TRUE(window->document().planImages().trouble(0).contains("changed"));
  // Gone: said so, readings there.
  QFile::remove(other.filePath("plans/plan.png"));
  window->newWing();
  ASSERT_TRUE(window->openFile(other.filePath("wing.euptera")));
  ASSERT_TRUE(window->document().planImages().settle(20000));
  EXPECT_EQ(window->document().planImages().image(0), nullptr);
  EXPECT_TRUE(window->document().planImages().trouble(0).contains("not where it was"));
  EXPECT_EQ(design().plan.readings.size(), 1u);
  EXPECT_TRUE(isDrawn(*window->board(Stage::plan)));
  // Linked again.
  window->plan().relink(copy);
  ASSERT_TRUE(window->document().planImages().settle(20000));
  EXPECT_NE(window->document().planImages().image(0), nullptr);
  EXPECT_EQ(design().plan.readings.size(), 1u);
}

/// A wing from elsewhere may name any file: what lies outside its own folder waits for the person's word.
TEST_F(PlanStage, AFileOutsideTheWingsFolderWaitsForAWord) {
  QTemporaryDir dir;
  QDir(dir.path()).mkpath("wings");
  const QString file = dir.filePath("p.png");
  ASSERT_TRUE(QFile::copy(cleanPlan, file));
  open(file);
  ASSERT_TRUE(window->saveTo(dir.filePath("wings/w.euptera")));
  QTemporaryDir other;
  MainWindow again(other.path());
  again.askBy(std::make_unique<Answers>());
  again.resize(1280, 800);
  again.show();
  ASSERT_TRUE(again.openFile(dir.filePath("wings/w.euptera")));
  PlanImages& images = again.document().planImages();
  ASSERT_TRUE(images.settle(20000));
  EXPECT_EQ(images.image(0), nullptr);
  EXPECT_TRUE(images.asks(0));
  EXPECT_TRUE(images.trouble(0).contains("outside"));
  images.trust(0);
  ASSERT_TRUE(images.settle(20000));
  EXPECT_NE(images.image(0), nullptr);
  EXPECT_TRUE(images.trouble(0).isEmpty());
}

TEST_F(PlanStage, ADeviceNamedByAWingIsNotRead) {
  Design d = design();
  PlanSheet sheet;
  sheet.name = "Sheet 1", sheet.file = "/dev/zero";
  sheet.checksum = std::string(64, '0');
  sheet.width = 100, sheet.height = 100;
  d.plan.sheets = {sheet};
  window->document().replace(d, {}, true);
  PlanImages& images = window->document().planImages();
  ASSERT_TRUE(images.settle(2000));
  images.trust(0); // even then
  ASSERT_TRUE(images.settle(2000));
  EXPECT_EQ(images.image(0), nullptr);
  EXPECT_FALSE(images.trouble(0).isEmpty());
}

TEST_F(PlanStage, ACopyCanBeKeptInTheWingFile) {
  QTemporaryDir dir;
  const QString file = dir.filePath("p.png");
  ASSERT_TRUE(QFile::copy(cleanPlan, file));
  open(file);
  window->plan().keepCopy();
  ASSERT_FALSE(design().plan.sheets[0].copy.empty());
  ASSERT_TRUE(window->saveTo(dir.filePath("w.euptera")));
  QFile::remove(file);
  window->newWing();
  ASSERT_TRUE(window->openFile(dir.filePath("w.euptera")));
  ASSERT_TRUE(window->document().planImages().settle(20000));
  EXPECT_NE(window->document().planImages().image(0), nullptr);
  EXPECT_TRUE(window->document().planImages().trouble(0).isEmpty());
}

TEST_F(PlanStage, APhotographIsMadeTrueByFourCorners) {
  open(cleanPlan);
  page("Make true");
  pressTool("toolCorners");
  const auto lengths = truth()["lengths"];
  const auto t = truth()["templates"];
  for (const auto& p : {t[0]["pixels"][0], t[0]["pixels"][1], t[3]["pixels"][1], t[3]["pixels"][0]})
    click(p); // a trapezoid of the plan stands in
  EXPECT_EQ(design().plan.sheets[0].by, MakeTrue::corners);
  ASSERT_EQ(design().plan.sheets[0].corners.size(), 4u);
  type("cornerWidth", "200");
  settle();
  EXPECT_EQ(design().plan.sheets[0].cornerWidth, 200);
  EXPECT_EQ(window->document().wing().plan.sheets[0].sheet.seen, Seen::perspective);
}

TEST_F(PlanStage, TheOtherHandIsShownTurnedOverAndPrinted) {
  window->openDemo("fenlark-plan");
  ASSERT_TRUE(window->document().planImages().settle(20000));
  press("hand left");
  EXPECT_TRUE(plan()->turnedOver());
  EXPECT_TRUE(isDrawn(*plan()));
  QTemporaryDir dir;
  for (const char* ending : {".pdf", ".svg", ".dxf"})
    EXPECT_TRUE(window->printReference(Hand::left, dir.filePath(QString("r%1").arg(ending))));
  QFile svg(dir.filePath("r.svg"));
  ASSERT_TRUE(svg.open(QIODevice::ReadOnly));
  const QByteArray text = svg.readAll();
  EXPECT_TRUE(text.contains("LEFT HAND"));
  EXPECT_TRUE(text.contains("mirrored"));
  EXPECT_FALSE(window->printReference(Hand::left, "/proc/none.pdf"));
  window->openDemo("fenlark-faulty-plan"); // both hands are drawn: nothing to turn over
  EXPECT_FALSE(plan()->turnedOver());
}

TEST_F(PlanStage, AnotherSpanShowsWhatChangesAndBuildsIt) {
  window->openDemo();
  stage(1);
  page("Use");
  type("otherSpan", "1000");
  settle();
  EXPECT_GE(find<QTableWidget>("spanChanges")->rowCount(), 5);
  press("buildAtSpan");
  settle();
  EXPECT_EQ(design().inner().panel.span, 1000);
  EXPECT_NEAR(design().inner().panel.rootChord, 236 * 1000 / 748.0, 1e-9);
  window->document().undo();
  EXPECT_EQ(design().inner().panel.span, 748);
}

TEST_F(PlanStage, SheetsAreNamedAddedAndTakenOut) {
  open(cleanPlan);
  open(QString::fromStdString(eup::test::testFile("plans/two-pages.tif")));
  ASSERT_EQ(design().plan.sheets.size(), 2u);
  page("Plan");
  EXPECT_EQ(find<QListWidget>("sheets")->count(), 2);
  type("sheetName", "Second sheet");
  settle();
  EXPECT_EQ(design().plan.sheets[1].name, "Second sheet");
  press("removeSheet");
  settle();
  EXPECT_EQ(design().plan.sheets.size(), 1u);
  window->document().undo();
  EXPECT_EQ(design().plan.sheets.size(), 2u);
}

/// A click that arrives between another wing's opening and the redrawing of the controls reaches nothing of it.
TEST_F(PlanStage, ControlsOfTheWingBeforeAreDead) {
  window->openDemo("fenlark-plan");
  page("Plan");
  auto* remove = find<QAbstractButton>("removeSheet");
  window->openDemo("oldacre-1320"); // it has no plan
  ASSERT_TRUE(design().plan.sheets.empty());
  remove->click();
  settle();
  EXPECT_TRUE(design().plan.sheets.empty());
}

TEST_F(PlanStage, TheUnderlayLiesUnderTheWing) {
  window->openDemo("fenlark-plan");
  ASSERT_TRUE(window->document().planImages().settle(20000));
  window->document().edit("use", withReadings(design(), window->document().wing().plan).design);
  stage(3);
  const QImage with = board()->grab().toImage();
  window->standpoint().setUnderlay(false);
  EXPECT_NE(with, board()->grab().toImage());
}

TEST_F(PlanStage, ShinesThroughUnderTheRibsThatWereTraced) {
  window->openDemo("fenlark-plan");
  window->document().planImages().settle(20000);
  window->document().edit("Use", withReadings(design(), window->document().wing().plan).design);
  stage(4);
  const auto differs = [&](int rib) {
    window->standpoint().setRib(rib);
    window->standpoint().setUnderlay(true);
    const QImage with = board()->grab().toImage();
    window->standpoint().setUnderlay(false);
    return board()->grab().toImage() != with;
  };
  EXPECT_TRUE(differs(1)) << "the root's section was traced";
  EXPECT_FALSE(differs(6));
}

/// A sheet that cannot be drawn in any time does not hold the window: reading it is stopped, and the window closes.
TEST_F(PlanStage, CanBeLeftWhileASheetIsDrawnWithoutEnd) {
  QTemporaryDir dir;
  const QString endless = dir.filePath("endless.pdf");
  ASSERT_TRUE(writeFileAtomically(endless.toStdString(), eup::test::formsOfForms(10)).ok());
  window->plan().openPlan(endless);
  QTest::qWait(500);
  ASSERT_TRUE(window->document().planImages().opening().has_value());
  QElapsedTimer clock;
  clock.start();
  press("stopOpening");
  ASSERT_TRUE(window->document().planImages().settle(20000));
  EXPECT_EQ(design().plan.sheets.size(), 0u);
  window->plan().openPlan(endless);
  QTest::qWait(500);
  window.reset();
  EXPECT_LT(clock.elapsed(), 20000) << "and not the minute that a sheet may be silent";
}

} // namespace
} // namespace eup::app::test
