// Ribs that cross, a second brace, spars that are cracked, rods, rounded tips: decided in the window and taken back.
#include "app/dialogs/stiffen_dialog.h"
#include "driver.h"

namespace eup::app::test {
namespace {

class Directions : public WindowTest {};

TEST_F(Directions, RibsAreTurnedAndCrossed) {
  stage(4);
  const auto ribs = [&]() -> const std::vector<Rib>& { return window->document().wing().inner().frame.ribs; };
  EXPECT_EQ(find<QLineEdit>("ribs.thickness")->isVisible(), true);
  stage(3);
  tab("Rib places");
  choose("ribs.direction", "diagonal");
  type("ribs.angle", "35");
  EXPECT_NEAR(radToDeg(ribs()[3].turn), 35, 1e-9);
  auto* crossing = find<QCheckBox>("ribs.crossing");
  ASSERT_NE(crossing, nullptr);
  crossing->setFocus();
  QTest::keyClick(crossing, Qt::Key_Space);
  EXPECT_TRUE(design().inner().ribs.crossing);
  EXPECT_EQ(window->document().wing().inner().frame.riblets.size(), ribs().size() - 1);
  EXPECT_TRUE(isDrawn(*board()));
  stage(4);
  EXPECT_TRUE(isDrawn(*board()));
  stage(3);
  // Nonsense is told and keeps the old value.
  type("ribs.angle", "steep");
  EXPECT_TRUE(problem().contains("steep"));
  EXPECT_DOUBLE_EQ(design().inner().ribs.angleDeg, 35);
  type("ribs.angle", "80");
  EXPECT_DOUBLE_EQ(design().inner().ribs.angleDeg, 35) << "beyond what can be built";
  choose("ribs.direction", "squareToSpar");
  EXPECT_NEAR(ribs()[3].turn, -window->document().wing().inner().frame.spars[0].sweep, 1e-12);
  while (window->document().canUndo()) window->document().undo();
  EXPECT_EQ(design().inner().ribs.direction, RibDirection::flight);
}

TEST_F(Directions, ASecondBraceIsFittedAndFolded) {
  window->openDemo("skerrow-1460");
  stage(6);
  tab("Centre join");
  press("addBrace");
  ASSERT_EQ(window->document().wing().inner().join.braces.size(), 1u);
  auto* more = find<QPushButton>("addBrace");
  ASSERT_NE(more, nullptr);
  more->setFocus();
  QTest::keyClick(more, Qt::Key_Space);
  ASSERT_EQ(window->document().wing().inner().join.braces.size(), 2u);
  EXPECT_EQ(window->standpoint().subject(), (Subject{Topic::brace, 1}));
  EXPECT_EQ(window->document().wing().inner().join.braces.at(1).spar, 1);
  choose("join.braces.1.form", "folded");
  EXPECT_TRUE(window->document().wing().inner().join.braces.at(1).folded);
  EXPECT_GT(figure("brace2.turn"), 0);
  type("join.braces.1.toRib", "4");
  EXPECT_EQ(window->document().wing().inner().join.braces.at(1).outer.toRib, 4);
  EXPECT_TRUE(isDrawn(*board()));
  press("removeBrace");
  EXPECT_EQ(design().inner().join.braces.size(), 1u);
  EXPECT_EQ(window->standpoint().subject(), (Subject{Topic::brace, 0}));
  press("removeBrace");
  EXPECT_TRUE(design().inner().join.braces.empty());
  EXPECT_EQ(window->standpoint().subject(), (Subject{Topic::join, 0}));
  press("addBrace");
  EXPECT_EQ(window->document().wing().inner().join.braces.size(), 1u);
}

TEST_F(Directions, SparsAreCrackedAndRodsCarryTheRibs) {
  stage(6);
  choose("join.sparsThere", "cracked");
  type("join.crackLeaves", "0,8");
  EXPECT_DOUBLE_EQ(design().inner().join.crackLeaves, 0.8);
  EXPECT_GT(figure("crack.1.top"), 0);
  tab("Setting up");
  putIn("join.rods");
  type("join.rodDiameter", "5");
  EXPECT_GT(figure("rod.1.tip"), 0);
  stage(4);
  EXPECT_TRUE(isDrawn(*board()));
  int holes = 0;
  for (const PassHole& h : window->document().wing().inner().frame.ribs[5].passHoles)
    holes += h.what == Passing::What::rod;
  EXPECT_EQ(holes, 2);
}

TEST_F(Directions, TheTipIsRounded) {
  stage(3);
  tab("Tip");
  choose("tip.kind", "rounded");
  type("tip.radius", "18");
  EXPECT_DOUBLE_EQ(window->document().wing().inner().tip->reach, 18);
  choose("tip.kind", "bow");
  type("tip.springBack", "0.12");
  EXPECT_DOUBLE_EQ(design().inner().tip.springBack, 0.12);
}

TEST_F(Directions, WaysToStiffenAreTriedAndOneIsTaken) {
  stage(5);
  tab("Stiffening");
  const double before = figure("twist.angle");
  with<StiffenDialog>("tryStiffening", [](StiffenDialog& dialog) {
    ASSERT_TRUE(dialog.settle());
    auto* table = dialog.findChild<QTableWidget*>("ways");
    auto* take = dialog.findChild<QPushButton*>("takeWay");
    EXPECT_FALSE(take->isEnabled()) << "the first is what there is";
    int film = 0;
    for (int i = 0; i < table->rowCount(); ++i)
      if (table->item(i, 0)->text() == "ironed fabric") film = i;
    EXPECT_GT(film, 0);
    for (int i = 0; i < film; ++i) QTest::keyClick(table, Qt::Key_Down);
    QTest::mouseClick(take, Qt::LeftButton);
  });
  EXPECT_EQ(design().inner().stiffening.covering, "fabric");
  EXPECT_LT(figure("twist.angle"), before);
  EXPECT_TRUE(window->document().undoName().contains("fabric"));
  window->document().undo();
  EXPECT_EQ(design().inner().stiffening.covering, "film");
  choose("stiffening.diagonals", "zigzag");
  EXPECT_LT(figure("twist.angle"), before);
  tab("Twist and dive");
  type("flying.twistCouple", "1000");
  EXPECT_GT(figure("twist.angle"), 0);
  EXPECT_TRUE(isDrawn(*board()));
}

} // namespace
} // namespace eup::app::test
