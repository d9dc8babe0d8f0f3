// The dialog in which the wing is put together on trial, driven as a person would.
#include "app/dialogs/trial_dialog.h"
#include "driver.h"

namespace eup::app::test {
namespace {

class TrialTest : public WindowTest {
protected:
  TrialTest() {
    stage(6);
    part("settingUp.0");
  }
};

TEST_F(TrialTest, SlotsOfASheetSparHaveTheirClearance) {
  Design d = design();
  d.inner().spars[0].kind = SparKind::fullDepth, d.inner().ribs.notchFit = 0.2;
  window->document().edit("Sheet spar", d);
  with<TrialDialog>("tryTogether", [&](TrialDialog& dialog) {
    auto* table = dialog.findChild<QTableWidget*>("trialRibs");
    ASSERT_FALSE(table->isColumnHidden(4));
    EXPECT_EQ(table->item(2, 4)->text(), "0.10 mm"); // half the fit on either side
  });
}

TEST_F(TrialTest, ErrorsAreSeenAndTakenOutAgain) {
  const Design before = design();
  with<TrialDialog>("tryTogether", [&](TrialDialog& d) {
    EXPECT_LT(d.shown().off, 0.05);
    auto* table = d.findChild<QTableWidget*>("trialRibs");
    EXPECT_TRUE(table->isColumnHidden(4)); // notches, and no slot
    auto* picture = d.findChild<QWidget*>("trialPicture");
    EXPECT_EQ(table->rowCount(), window->document().wing().main().stationCount());
    EXPECT_TRUE(picture->accessibleName().contains("every rib lies where it should"));
    const QImage sound = picture->grab().toImage();
    auto* where = d.findChild<QComboBox*>("faultWhere");
    where->setCurrentIndex(where->findText("R3"));
    auto* by = d.findChild<QLineEdit*>("faultBy");
    by->setText("nonsense");
    QTest::mouseClick(d.findChild<QAbstractButton*>("putFault"), Qt::LeftButton);
    EXPECT_TRUE(d.findChild<QLabel*>("problem")->text().contains("nonsense"));
    EXPECT_EQ(d.findChild<QListWidget*>("faults")->count(), 0);
    by->setText("0.3");
    QTest::keyClick(by, Qt::Key_Return);
    ASSERT_TRUE(d.isVisible());
    ASSERT_EQ(d.findChild<QListWidget*>("faults")->count(), 1) << d.findChild<QLabel*>("problem")->text().toStdString();
    EXPECT_NEAR(d.shown().panels[0].ribs[2].up, -0.3, 0.01);
    EXPECT_TRUE(picture->accessibleName().contains("R3"));
    EXPECT_NE(picture->grab().toImage(), sound);
    EXPECT_TRUE(table->item(2, 3)->text().startsWith("-0.30"));
    // A brace: panels are offered instead of ribs.
    d.findChild<QComboBox*>("faultWhat")->setCurrentIndex(2);
    EXPECT_EQ(where->count(), 1);
    by->setText("0,5");
    QTest::mouseClick(d.findChild<QAbstractButton*>("putFault"), Qt::LeftButton);
    EXPECT_GT(d.shown().tipOff, 1);
    auto* list = d.findChild<QListWidget*>("faults");
    ASSERT_EQ(list->count(), 2);
    while (list->count() > 0) QTest::mouseClick(d.findChild<QAbstractButton*>("takeFault"), Qt::LeftButton);
    EXPECT_LT(d.shown().tipOff, 0.01);
    EXPECT_LT(d.shown().off, 0.05);
  });
  EXPECT_EQ(design(), before);
}

} // namespace
} // namespace eup::app::test
