// The tables of materials and the bend test as a person uses them.
#include "app/dialogs/bend_test_dialog.h"
#include "app/dialogs/tables_dialog.h"
#include "core/described/decisions.h"
#include "core/design/panel_brief.h"
#include "driver.h"

namespace eup::app::test {
namespace {

class TablesTest : public WindowTest {
protected:
  TablesTest() { stage(5); }
  template <class Use> void tables(Use use) { with<TablesDialog>("openTables", use); }
  static QTableWidget* tableOf(TablesDialog& d, const char* name) {
    return d.findChild<QTableWidget*>(QString("table %1").arg(name));
  }
  static void pressIn(TablesDialog& d, const char* name) {
    QTest::mouseClick(d.findChild<QAbstractButton*>(name), Qt::LeftButton);
  }
  static QString said(TablesDialog& d) { return d.findChild<QLabel*>("said")->text(); }
};

TEST_F(TablesTest, ACopyIsTypedOverKeptAndChosen) {
  const Design before = design();
  tables([&](TablesDialog& d) {
    auto* table = tableOf(d, "materials");
    ASSERT_GE(table->rowCount(), 28);
    EXPECT_FALSE(table->item(0, 1)->flags() & Qt::ItemIsEditable) << "a shipped row stays as it is";
    EXPECT_FALSE(d.findChild<QAbstractButton*>("dropRow")->isEnabled());
    pressIn(d, "copyRow");
    ASSERT_TRUE(table->item(0, 1)->flags() & Qt::ItemIsEditable);
    table->item(0, 0)->setText("shed balsa");
    table->item(0, 1)->setText("3950");
    EXPECT_EQ(d.own().materials.front().label, "shed balsa");
    EXPECT_DOUBLE_EQ(d.own().materials.front().modulus, 3950);
    table->item(0, 1)->setText("stiff");
    EXPECT_TRUE(said(d).contains("stiff"));
    EXPECT_EQ(table->item(0, 1)->text(), "3950") << "what cannot be read leaves the value";
    table->item(0, 1)->setText("-4");
    EXPECT_TRUE(said(d).contains("cannot be"));
    table->item(0, 0)->setText("  ");
    EXPECT_EQ(d.own().materials.front().label, "shed balsa");
    pressIn(d, "keepTables");
  });
  ASSERT_EQ(design().own.materials.size(), 1u);
  part("topCap.0");
  EXPECT_GE(find<QComboBox>("spars.0.top.material")->findText("shed balsa"), 0);
  choose("spars.0.top.material", "own-1");
  EXPECT_EQ(design().inner().spars[0].top.material, "own-1");
  // What is in use cannot be taken out.
  tables([&](TablesDialog& d) {
    tableOf(d, "materials")->setCurrentCell(0, 0);
    pressIn(d, "dropRow");
    EXPECT_TRUE(said(d).contains("in use"));
    EXPECT_EQ(d.own().materials.size(), 1u);
  });
  while (window->document().canUndo()) window->document().undo();
  EXPECT_EQ(design(), before);
}

TEST_F(TablesTest, ABendTestGivesARow) {
  tables([&](TablesDialog& d) {
    bool seen = false;
    QTimer::singleShot(100, &d, [&] {
      auto* bend = qobject_cast<BendTestDialog*>(QApplication::activeModalWidget());
      ASSERT_NE(bend, nullptr);
      seen = true;
      auto* take = bend->findChild<QAbstractButton*>("takeTest");
      const auto type = [&](const char* name, const char* text) { bend->findChild<QLineEdit*>(name)->setText(text); };
      EXPECT_TRUE(take->isEnabled());
      type("sag", "sideways");
      EXPECT_FALSE(take->isEnabled());
      EXPECT_TRUE(bend->findChild<QLabel*>("says")->text().contains("sideways"));
      type("sag", "3/16\"");
      type("name", "bench strip");
      EXPECT_TRUE(bend->findChild<QLabel*>("says")->text().contains("E = F"));
      ASSERT_TRUE(bend->tested().has_value());
      EXPECT_NEAR(bend->tested()->modulus, 4903.3 * 5 / 4.7625, 10);
      QTest::mouseClick(take, Qt::LeftButton);
    });
    pressIn(d, "bendTest");
    EXPECT_TRUE(seen);
    pressIn(d, "keepTables");
  });
  ASSERT_EQ(design().own.materials.size(), 1u);
  EXPECT_EQ(design().own.materials.front().label, "bench strip");
  EXPECT_NE(design().own.materials.front().source.find("bend test"), std::string::npos);
}

TEST_F(TablesTest, CoveringsAndGluesHaveTablesToo) {
  tables([&](TablesDialog& d) {
    d.findChild<QTabWidget*>("shelves")->setCurrentIndex(2);
    EXPECT_FALSE(d.findChild<QAbstractButton*>("bendTest")->isVisible());
    auto* glues = tableOf(d, "glues");
    glues->setCurrentCell(1, 0);
    pressIn(d, "copyRow");
    glues->item(0, 1)->setText("1.1");
    d.findChild<QTabWidget*>("shelves")->setCurrentIndex(1);
    tableOf(d, "coverings")->setCurrentCell(2, 0);
    pressIn(d, "copyRow");
    pressIn(d, "dropRow");
    EXPECT_TRUE(d.own().coverings.empty());
    pressIn(d, "keepTables");
  });
  ASSERT_EQ(design().own.glues.size(), 1u);
  EXPECT_DOUBLE_EQ(design().own.glues.front().shearStrength, 1.1);
  const double before = figure("spar.1.webGlue");
  stage(3);
  tab("Model");
  choose("glue", "own-1");
  EXPECT_EQ(design().glue, "own-1");
  stage(5);
  EXPECT_LT(figure("spar.1.webGlue"), before);
}

TEST_F(TablesTest, AKindOfFlyingOfOnesOwnIsBuiltFor) {
  const double before = figure("load.halfLift") / design().flying.loadFactor;
  tab("Loads");
  tables([&](TablesDialog& d) {
    EXPECT_EQ(d.findChild<QTabWidget*>("shelves")->currentIndex(), 3) << "it opens where it was asked for";
    auto* factors = tableOf(d, "loadFactors");
    factors->setCurrentCell(2, 0);
    pressIn(d, "copyRow");
    factors->item(0, 0)->setText("club pylon");
    factors->item(0, 1)->setText("60");
    EXPECT_NE(d.findChild<QLabel*>("said")->text().indexOf("1 to 50"), -1);
    factors->item(0, 1)->setText("24");
    factors->item(0, 3)->setText("our logger");
    pressIn(d, "keepTables");
  });
  ASSERT_EQ(design().own.loadFactors.size(), 1u);
  EXPECT_DOUBLE_EQ(design().own.loadFactors.front().pull, 24);
  choose("flying.kind", "own-1");
  EXPECT_EQ(design().flying.kind, "own-1");
  EXPECT_NEAR(figure("load.halfLift"), before * 24, 1e-6 * before);
  tables([&](TablesDialog& d) { // what is built for stays
    tableOf(d, "loadFactors")->setCurrentCell(0, 0);
    pressIn(d, "dropRow");
    EXPECT_EQ(d.own().loadFactors.size(), 1u);
    EXPECT_NE(d.findChild<QLabel*>("said")->text().indexOf("in use"), -1);
  });
}

TEST_F(TablesTest, LeavingThemChangesNothing) {
  const Design before = design();
  tables([&](TablesDialog& d) { pressIn(d, "copyRow"); });
  EXPECT_EQ(design(), before);
  EXPECT_FALSE(window->document().canUndo());
}

TEST_F(TablesTest, SectionsAreDecidedOnTheStage) {
  part("topCap.0");
  choose("spars.0.top.shape", "tube");
  EXPECT_EQ(design().inner().spars[0].top.shape, CapShape::tube);
  EXPECT_NE(find<QLineEdit>("spars.0.top.wall"), nullptr);
  choose("spars.0.top.shape", "strip");
  putIn("spars.0.top.doubled");
  EXPECT_TRUE(design().inner().spars[0].top.doubled);
  part("webs.0");
  choose("spars.0.webs", "core");
  choose("spars.0.webMaterial", "foam-xps-33");
  EXPECT_FALSE(decisionAt(design(), pathOf({}) + "spars.0.webThickness")->applies);
  EXPECT_TRUE(isDrawn(*board()));
  EXPECT_GT(figure("spar.1.buckling"), 0);
}

} // namespace
} // namespace eup::app::test
