#include "app/boards/load_curves.h"
#include "driver.h"

namespace eup::app::test {
namespace {

using test::WindowTest;

class LoadCurvesTest : public WindowTest {
protected:
  LoadCurvesTest() { stage(5); }
  LoadCurves* curves() { return find<LoadCurves>("loadCurves"); }
};

TEST_F(LoadCurvesTest, StandOverTheSpanRule) {
  const auto* rule = find<SpanRule>("spanRule");
  for (const char* hand : {"hand right", "hand left"}) {
    press(hand);
    for (const double y : {0.0, 300.0, 750.0}) EXPECT_NEAR(curves()->xOf(y), rule->xOf(y), 1.5) << hand << y;
  }
  // They turn dark with the rest.
  const QRgb light = curves()->grab().toImage().pixel(2, 2);
  window->setDark(true);
  EXPECT_LT(qGray(curves()->grab().toImage().pixel(2, 2)), qGray(light));
  window->setDark(false);
  stage(4);
  EXPECT_FALSE(window->findChild<LoadCurves*>("loadCurves")->isVisible());
}

TEST_F(LoadCurvesTest, TellTheChosenRibAndFollowDecisions) {
  window->standpoint().setRib(4);
  const QString before = curves()->wordsAt(2);
  EXPECT_TRUE(before.startsWith("Bending at R4: ")) << before.toStdString();
  QTest::keyClick(curves(), Qt::Key_Right);
  EXPECT_EQ(window->standpoint().rib(), 5);
  QTest::keyClick(curves(), Qt::Key_Left);
  QWidget* plot = curves()->findChild<QWidget*>();
  QTest::mouseClick(plot, Qt::LeftButton, {}, QPoint(static_cast<int>(curves()->xOf(750)), 20));
  EXPECT_EQ(window->standpoint().rib(), 13);
  window->standpoint().setRib(4);
  tab("Loads");
  type("flying.loadFactor", "13");
  EXPECT_NE(curves()->wordsAt(2), before);
}

TEST_F(LoadCurvesTest, EveryLoadIsDecidedUnderLoads) {
  tab("Loads");
  type("flying.pushFactor", "0");
  tab("Gusts and landings");
  takeOut("flying.gust");
  takeOut("flying.tipTouch");
  EXPECT_EQ(curves()->curves()[0].lines.size(), 1u);
  putIn("flying.gust");
  EXPECT_DOUBLE_EQ(design().flying.gust, 6) << "to begin with";
  type("flying.airSpeed", "15");
  putIn("flying.linePull");
  type("flying.linePull", "30");
  putIn("flying.tipTouch");
  type("flying.tipTouch", "1.5");
  tab("Loads");
  type("flying.pushFactor", "4");
  EXPECT_EQ(curves()->curves()[0].lines.size(), 6u) << "the gust from above too";
  EXPECT_GT(figure("load.case.line"), 0);
  tab("Twist and dive");
  takeOut("flying.diveSpeed");
  EXPECT_TRUE(curves()->curves()[3].lines.empty());
  putIn("flying.diveSpeed");
  type("flying.diveSpeed", "30");
  EXPECT_GT(figure("soft.diveTwist"), 0);
  tab("Loads");
  choose("flying.kind", "slope");
  EXPECT_DOUBLE_EQ(window->document().wing().main().loads.front().factor, 15);
  choose("flying.shape", "table");
  type("flying.table", "1; 1; oops");
  EXPECT_TRUE(problem().contains("oops"));
  type("flying.table", "1; 1; 0.5");
  EXPECT_EQ(design().flying.table, (std::vector<double>{1, 1, 0.5}));
}

class SparHandles : public WindowTest {
protected:
  SparHandles() {
    stage(5);
    window->standpoint().setSpar(0);
    QApplication::processEvents();
    board()->fit();
  }
};

TEST_F(SparHandles, DraggingACapMovesItsReserveAndItsMass) {
  const Cap before = design().inner().spars[0].top;
  const double reserve = figure("spar.1.worstReserve"), grams = figure("mass.spars");
  drag("top cap depth at the root", {0, 8});
  EXPECT_GT(design().inner().spars[0].top.depth, before.depth);
  EXPECT_GT(figure("spar.1.worstReserve"), reserve);
  EXPECT_GT(figure("mass.spars"), grams);
  EXPECT_FALSE(design().inner().spars[0].top.tapers);
  const Cap deep = design().inner().spars[0].top;
  drag("top cap depth at its end", {0, -6});
  EXPECT_TRUE(design().inner().spars[0].top.tapers);
  EXPECT_LT(design().inner().spars[0].top.tipDepth, deep.depth);
  EXPECT_DOUBLE_EQ(design().inner().spars[0].top.tipWidth, deep.width);
  window->document().undo();
  window->document().undo();
  EXPECT_EQ(design().inner().spars[0].top, before);
}

TEST_F(SparHandles, ASparIsDroppedOffAndRunThroughAgain) {
  drag("end of the main spar", {-120, 0});
  EXPECT_TRUE(design().inner().spars[0].stops);
  const double at = design().inner().spars[0].stopsAt;
  EXPECT_LT(at, 700);
  EXPECT_EQ(window->document().undoName(), "Move the end of the main spar");
  drag("end of the main spar", {200, 0});
  EXPECT_FALSE(design().inner().spars[0].stops);
}

TEST_F(SparHandles, ACapEndsEarlyWhereItIsDragged) {
  part("bottomCap.0");
  putIn("spars.0.bottom.drops");
  const double ends = figure("spar.1.endBottom");
  drag("where the bottom cap ends", {-60, 0});
  EXPECT_LT(figure("spar.1.endBottom"), ends - 10);
  EXPECT_EQ(window->document().undoName(), "Move the end of the bottom cap");
  window->document().undo();
  window->document().undo();
  EXPECT_FALSE(design().inner().spars[0].bottom.drops);
}

TEST_F(SparHandles, WhereTheWoodChangesIsDragged) {
  part("topCap.0");
  putIn("spars.0.top.changes");
  const double before = design().inner().spars[0].top.changesAt;
  drag("where the top cap's wood changes", {60, 0});
  EXPECT_GT(design().inner().spars[0].top.changesAt, before + 0.05);
}

} // namespace
} // namespace eup::app::test
