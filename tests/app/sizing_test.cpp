#include "app/dialogs/size_dialog.h"
#include "app/dialogs/swap_dialog.h"
#include "driver.h"

namespace eup::app::test {
namespace {

class SizingTest : public WindowTest {
protected:
  SizingTest() { stage(5); }
};

TEST_F(SizingTest, TheLightestSparIsTaken) {
  const Design before = design();
  QString name;
  with<SizeDialog>("sizeSpar", [&](SizeDialog& d) {
    auto* table = d.findChild<QTableWidget*>("sizes");
    ASSERT_TRUE(d.settle());
    ASSERT_GT(table->rowCount(), 1);
    ASSERT_NE(d.chosen(), nullptr);
    auto* reserve = d.findChild<QLineEdit*>("reserve");
    reserve->setText("nonsense");
    QTest::keyClick(reserve, Qt::Key_Return);
    EXPECT_TRUE(d.findChild<QLabel*>("said")->text().contains("nonsense"));
    EXPECT_GT(table->rowCount(), 1); // the last answer stays
    reserve->setText("1.5");
    Q_EMIT reserve->editingFinished();
    ASSERT_TRUE(d.settle());
    EXPECT_GE(d.chosen()->reserve, 1.5);
    auto* stock = d.findChild<QLineEdit*>("stock");
    stock->setText("1/4\"; 3; 5");
    Q_EMIT stock->editingFinished();
    EXPECT_FALSE(d.findChild<QAbstractButton*>("takeSize")->isEnabled()) << "not before it is found";
    ASSERT_TRUE(d.settle());
    QTest::mouseClick(d.findChild<QAbstractButton*>("takeSize"), Qt::LeftButton);
  });
  EXPECT_NE(design(), before);
  const Cap& top = design().inner().spars[0].top;
  EXPECT_TRUE(top.depth == 3 || top.depth == 5 || top.depth == 6.35) << top.depth;
  EXPECT_GE(figure("spar.1.worstReserve"), 1.49);
  window->document().undo();
  EXPECT_EQ(design(), before);
}

TEST_F(SizingTest, NothingHoldsIsSaid) {
  with<SizeDialog>("sizeSpar", [&](SizeDialog& d) {
    auto* reserve = d.findChild<QLineEdit*>("reserve");
    reserve->setText("90");
    Q_EMIT reserve->editingFinished();
    ASSERT_TRUE(d.settle());
    EXPECT_TRUE(d.findChild<QLabel*>("said")->text().contains("None of these"));
    EXPECT_FALSE(d.findChild<QAbstractButton*>("takeSize")->isEnabled());
  });
}

TEST_F(SizingTest, AnotherWoodIsTaken) {
  const double stiffness = figure("spar.1.stiffness");
  with<SwapDialog>("swapWood", [&](SwapDialog& d) {
    auto* table = d.findChild<QTableWidget*>("swaps");
    ASSERT_GT(table->rowCount(), 3);
    for (int row = 0; row < table->rowCount(); ++row)
      if (table->item(row, 0)->text().contains("pine")) table->setCurrentCell(row, 0);
    QTest::mouseClick(d.findChild<QAbstractButton*>("takeSwap"), Qt::LeftButton);
  });
  EXPECT_EQ(design().inner().spars[0].top.material, "pine");
  EXPECT_NEAR(figure("spar.1.stiffness"), stiffness, 1e-6 * stiffness);
}

} // namespace
} // namespace eup::app::test
