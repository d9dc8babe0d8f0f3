// Several wings, tips, riblets, joiners in the window: added, chosen, typed, taken back.
#include "driver.h"

namespace eup::app::test {
namespace {

class WingsOfAModel : public WindowTest {
protected:
  WingsOfAModel() { stage(3); }
  void addWing(int index) {
    auto* button = find<QPushButton>("addWing");
    ASSERT_NE(button, nullptr);
    // The menu is in the way of its own events while it is open: it is worked on by a timer, as by a hand.
    QTimer::singleShot(50, button->menu(), [button, index] {
      for (int i = 0; i < index; ++i) QTest::keyClick(button->menu(), Qt::Key_Down);
      QTest::keyClick(button->menu(), Qt::Key_Return);
    });
    QTest::keyClick(button, Qt::Key_Space);
    QApplication::processEvents();
    QApplication::sendPostedEvents(nullptr, QEvent::DeferredDelete);
  }
};

TEST_F(WingsOfAModel, ATailplaneIsAddedWorkedOnAndTakenBack) {
  const double mainArea = figure("panel.area");
  tab("Wing");
  addWing(2); // the second in the list of kinds
  ASSERT_EQ(design().wings.size(), 2u);
  EXPECT_EQ(design().wings[1].kind, WingKind::tailplane);
  EXPECT_EQ(window->standpoint().wing(), 1);
  EXPECT_EQ(window->document().undoName(), "Add a tailplane");
  type("surface.name", "Stabiliser");
  EXPECT_EQ(design().wings[1].name, "Stabiliser");
  EXPECT_EQ(design().wings[0].name, "Wing");
  tab("Panel");
  type("panel.span", "260");
  EXPECT_DOUBLE_EQ(design().at({1, 0}).panel.span, 260);
  EXPECT_DOUBLE_EQ(figure("panel.area"), mainArea) << "the main wing is as it was";
  // Every stage follows the wing that is chosen.
  for (int i = 2; i <= 7; ++i) {
    stage(i);
    EXPECT_EQ(&window->standpoint().shownWing(), &window->document().wing().wings[1]);
    EXPECT_TRUE(isDrawn(*board()));
  }
  QTest::keyClick(window->findChild<SpanRule*>(), Qt::Key_End);
  EXPECT_EQ(window->standpoint().rib(), window->standpoint().shownWing().stationCount());
  goTo("wing", 1);
  EXPECT_EQ(window->standpoint().wing(), 0);
  EXPECT_EQ(window->standpoint().rib(), 1);
  goTo("wing", 2);
  stage(3);
  tab("Wing");
  press("dropWing");
  EXPECT_EQ(design().wings.size(), 1u);
  EXPECT_EQ(window->standpoint().wing(), 0);
  while (window->document().canUndo()) window->document().undo();
  EXPECT_EQ(design().wings.size(), 1u);
  window->document().redo();
  EXPECT_EQ(design().wings.size(), 2u);
}

TEST_F(WingsOfAModel, TheMainWingCannotBeTakenOut) {
  tab("Wing");
  EXPECT_FALSE(find<QPushButton>("dropWing")->isEnabled());
}

TEST_F(WingsOfAModel, FiguresAndDecisionsLeadToTheirWing) {
  window->openDemo("oldacre-1320");
  ASSERT_EQ(design().wings.size(), 3u);
  ASSERT_TRUE(follows().reveal("wing2.panel.area"));
  EXPECT_EQ(window->standpoint().wing(), 1);
  follows().reveal("panel.area");
  EXPECT_EQ(window->standpoint().wing(), 0);
  window->findChild<DecidePanel*>()->focusDecision("wings.2.panels.0.panel.rootChord");
  EXPECT_EQ(window->standpoint().wing(), 2);
  EXPECT_EQ(shown("panel.rootChord"), "118");
  // A fin stands by itself: nothing to fold or to join.
  stage(6);
  QApplication::sendPostedEvents(nullptr, QEvent::DeferredDelete);
  EXPECT_EQ(window->findChild<QLineEdit*>("join.dihedral.rise"), nullptr);
  EXPECT_TRUE(isDrawn(*board()));
}

TEST_F(WingsOfAModel, AllOfThemStandInSpace) {
  window->openDemo("oldacre-1320");
  window->showInSpace(SpaceView::behind);
  const QImage three = window->grab().toImage();
  Design one = design();
  one.wings.resize(1);
  window->document().edit("alone", one);
  QApplication::processEvents();
  EXPECT_NE(window->grab().toImage(), three);
}

/// Two wings of one hand are the classic mistake.
TEST_F(WingsOfAModel, TheSameHandTwiceDoesNotGoUnnoticed) {
  QTemporaryDir folder;
  ExportOrder order;
  order.formats = {ExportFormat::svg};
  order.hands = {Hand::right};
  ASSERT_TRUE(window->exportTo(folder.path(), order));
  EXPECT_TRUE(window->message().contains("left one is still to be written")) << window->message().toStdString();
  ASSERT_TRUE(window->exportTo(folder.path(), order));
  EXPECT_TRUE(window->message().contains("AGAIN")) << window->message().toStdString();
  order.hands = {Hand::left};
  ASSERT_TRUE(window->exportTo(folder.path(), order));
  EXPECT_FALSE(window->message().contains("AGAIN")) << "that is the other one";
  order.hands = {Hand::right, Hand::left};
  ASSERT_TRUE(window->exportTo(folder.path(), order));
  EXPECT_FALSE(window->message().contains("still")) << window->message().toStdString();
}

class Fittings : public WindowTest {};

TEST_F(Fittings, RibletsThickAndDoubledRibsAreTyped) {
  stage(4);
  tab("Riblets");
  EXPECT_EQ(window->findChild<QLineEdit*>("riblets.thickness"), nullptr) << "no say while there are none";
  type("riblets.inBay", "1");
  EXPECT_EQ(window->document().wing().inner().frame.riblets.size(), 12u);
  type("riblets.fraction", "24");
  EXPECT_DOUBLE_EQ(design().inner().riblets.fraction, 0.24);
  tab("Ribs");
  putIn("ribs.thick");
  type("ribs.thick", "2; 5");
  EXPECT_EQ(design().inner().ribs.thick, (std::vector<int>{2, 5}));
  type("ribs.thick", "five");
  EXPECT_EQ(design().inner().ribs.thick.size(), 2u) << "the old value stays";
  bool told = false;
  for (QLabel* l : window->findChildren<QLabel*>("problem"))
    told = told || (l->isVisible() && l->text().contains("five"));
  EXPECT_TRUE(told);
  takeOut("ribs.thick");
  EXPECT_TRUE(design().inner().ribs.thick.empty());
  putIn("ribs.doubled");
  type("ribs.doubled", "3");
  EXPECT_EQ(window->document().wing().inner().frame.ribs[2].layers, 2);
  stage(3);
  tab("Rib places");
  putIn("ribs.denseRoot");
  type("ribs.denseRoot", "2");
  EXPECT_EQ(window->document().wing().inner().frame.ribs.size(), 15u);
}

TEST_F(Fittings, SparsStopAndTaper) {
  stage(5);
  part("spar.0");
  putIn("spars.0.stops");
  type("spars.0.stopsAt", "500");
  EXPECT_NEAR(window->document().wing().inner().frame.spars[0].end, 500, 1e-9);
  const double before = figure("load.tipDeflection");
  part("topCap.0");
  putIn("spars.0.top.tapers");
  type("spars.0.top.tipDepth", "1");
  EXPECT_GT(figure("load.tipDeflection"), before);
  EXPECT_TRUE(isDrawn(*board()));
}

TEST_F(Fittings, AJoinerIsBoredAndBent) {
  stage(6);
  tab("Joiner");
  putIn("joiner.fitted");
  EXPECT_NE(figureNamed(window->document().wing(), "joiner.reserve"), nullptr);
  EXPECT_NEAR(figure("joiner.bend"), 0, 1e-12) << "straight through";
  choose("joiner.along", "middle");
  EXPECT_GT(std::abs(figure("joiner.bend")), 1e-4);
  putIn("joiner.bore");
  type("joiner.bore", "9");
  EXPECT_FALSE(window->document().possible()) << "wider than the rod";
  type("joiner.bore", "6");
  EXPECT_TRUE(window->document().possible());
  stage(4);
  EXPECT_NE(figureNamed(window->document().wing(), "rib.2.hole.1.x"), nullptr);
}

TEST_F(Fittings, TheTipIsDecidedAndDrawn) {
  stage(3);
  tab("Tip");
  const QImage square = board()->grab().toImage();
  for (const char* kind : {"plate", "outline", "block", "bow"}) {
    choose("tip.kind", kind);
    EXPECT_NE(board()->grab().toImage(), square) << kind;
    EXPECT_NE(figureNamed(window->document().wing(), "tip.span"), nullptr) << kind;
  }
  type("tip.reach", "55");
  EXPECT_NEAR(figure("tip.span"), 2 * (748 + 55), 1e-9);
  // Only the outermost panel has one.
  window->openDemo("tarnbrook-2000");
  stage(3);
  QApplication::sendPostedEvents(nullptr, QEvent::DeferredDelete);
  EXPECT_EQ(partTitled("Tip"), nullptr);
  goTo("panel", 3);
  EXPECT_NE(partTitled("Tip"), nullptr);
}

} // namespace
} // namespace eup::app::test
