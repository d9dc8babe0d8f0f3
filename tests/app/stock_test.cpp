// The stage of the parts list, driven as a person would.
#include "core/takeaway/piece_list.h"
#include "driver.h"
#include <QTreeWidget>

namespace eup::app::test {
namespace {

class StockTest : public WindowTest {
protected:
  StockTest() { stage(10); }
  QTreeWidget* tree() { return find<QTreeWidget>("pieces"); }
  QTreeWidgetItem* row(const QString& name) {
    for (int i = 0; i < tree()->topLevelItemCount(); ++i)
      for (int k = 0; k < tree()->topLevelItem(i)->childCount(); ++k)
        if (tree()->topLevelItem(i)->child(k)->text(0) == name) return tree()->topLevelItem(i)->child(k);
    return nullptr;
  }
  int rows() {
    int sum = 0;
    for (int i = 0; i < tree()->topLevelItemCount(); ++i) sum += tree()->topLevelItem(i)->childCount();
    return sum;
  }
};

TEST_F(StockTest, EveryPieceIsListedGatheredThreeWays) {
  window->openDemo("tarnbrook-2000");
  QApplication::processEvents();
  const auto pieces = static_cast<int>(pieceList(window->document().wing()).size());
  EXPECT_EQ(rows(), pieces);
  EXPECT_EQ(tree()->topLevelItemCount(), 3) << "a group a panel";
  auto* by = find<QComboBox>("piecesBy");
  by->setCurrentIndex(1);
  Q_EMIT by->activated(1);
  EXPECT_EQ(rows(), pieces);
  by->setCurrentIndex(2);
  Q_EMIT by->activated(2);
  int shared = 0;
  for (const PieceLine& l : pieceList(window->document().wing())) shared += l.part->shared;
  EXPECT_EQ(rows(), 2 * pieces - shared) << "each hand has its own";
}

// A strip that passes the centre is one row, chosen on the board in both hands; sawn off there it is one a hand.
TEST_F(StockTest, AStripOverBothHandsIsOneRow) {
  window->openDemo("oldacre-1320");
  stage(10);
  QApplication::processEvents();
  QTreeWidgetItem* edge = row("leading edge");
  ASSERT_NE(edge, nullptr);
  const auto told = [&](QTreeWidgetItem* item) {
    QStringList out;
    for (int c = 0; c < tree()->columnCount(); ++c) out << item->text(c);
    return out.join(' ');
  };
  EXPECT_TRUE(told(edge).contains("803.7")) << told(edge).toStdString();
  tree()->setCurrentItem(edge);
  QApplication::processEvents();
  EXPECT_TRUE(isDrawn(*board()));
  const int whole = rows();
  stage(6);
  tab("Centre join");
  EXPECT_EQ(figureNamed(window->document().wing(), "cut.le.mitre"), nullptr);
  choose("join.sparsThere", "end");
  EXPECT_NE(figureNamed(window->document().wing(), "cut.le.mitre"), nullptr);
  stage(10);
  QApplication::processEvents();
  EXPECT_EQ(rows(), whole) << "as many rows, each of two pieces then";
  EXPECT_TRUE(told(row("leading edge")).contains("40"));
  EXPECT_FALSE(told(row("leading edge")).contains("803.7"));
  window->document().undo();
  QApplication::processEvents();
  EXPECT_TRUE(told(row("leading edge")).contains("803.7"));
}

TEST_F(StockTest, APieceThatIsChosenIsChosenOnTheBoardAndBack) {
  QApplication::processEvents();
  const QImage before = board()->grab().toImage();
  ASSERT_NE(row("R4"), nullptr);
  tree()->setCurrentItem(row("R4"));
  QApplication::processEvents();
  EXPECT_EQ(textOf(window->standpoint().piece().value_or(PieceId{})), "rib.4");
  EXPECT_EQ(window->standpoint().rib(), 4);
  EXPECT_NE(board()->grab().toImage(), before);
  // A click on the board chooses what lies there.
  const TruePanel& w = window->document().wing().inner();
  const Part* cap = nullptr;
  for (const Part& p : w.parts)
    if (p.key() == "spar.1.top") cap = &p;
  ASSERT_NE(cap, nullptr);
  const double t = w.frame.ribs[5].t() + 20, share = t / w.shape.loft.span();
  const Point3 on = lerp(cap->from, cap->to, share);
  QTest::mouseClick(board(), Qt::LeftButton, {}, board()->screen({t, -on.x()}).toPoint());
  QApplication::processEvents();
  EXPECT_EQ(textOf(window->standpoint().piece().value_or(PieceId{})), "web.1.6")
      << "the smallest piece that lies there";
  ASSERT_NE(tree()->currentItem(), nullptr);
  EXPECT_TRUE(tree()->currentItem()->text(0).startsWith("main spar"));
}

TEST_F(StockTest, SparesAndBatchesAreDecidedAndUndone) {
  QApplication::processEvents();
  type("cutList.spares", "2");
  type("cutList.batch", "3");
  QApplication::processEvents();
  EXPECT_EQ(row("R4")->text(1), "10") << "three wings of two hands, two more of each";
  type("cutList.batch", "0");
  EXPECT_EQ(design().cutList.batch, 3);
  window->document().undo();
  window->document().undo();
  QApplication::processEvents();
  EXPECT_EQ(row("R4")->text(1), "2");
}

TEST_F(StockTest, PiecesAreWeighed) {
  QApplication::processEvents();
  tree()->setCurrentItem(row("leading edge"));
  QApplication::processEvents();
  auto* right = find<QLineEdit>("weighedRight");
  const double before = figure("balance.placed"), reckoned = right->placeholderText().toDouble();
  EXPECT_GT(reckoned, 5);
  const auto write = [&](const char* field, const QString& text) {
    auto* edit = find<QLineEdit>(field);
    edit->setFocus();
    edit->clear();
    QTest::keyClicks(edit, text);
    QTest::keyClick(edit, Qt::Key_Return);
    QApplication::processEvents();
  };
  write("weighedRight", "12.5 g");
  ASSERT_EQ(design().balance.weighed.size(), 1u);
  EXPECT_EQ(design().balance.weighed[0].grams, 12.5);
  EXPECT_NEAR(figure("balance.placed") - before, (12.5 - reckoned) * (1 + design().balance.glue), 0.05);
  EXPECT_EQ(row("leading edge")->text(7), "12.5");
  write("weighedLeft", "rubbish");
  EXPECT_EQ(design().balance.weighed.size(), 1u);
  write("weighedLeft", "13");
  EXPECT_EQ(design().balance.weighed.size(), 2u);
  write("weighedRight", "");
  EXPECT_EQ(design().balance.weighed.size(), 1u);
  window->document().undo();
  EXPECT_EQ(design().balance.weighed.size(), 2u);
}

TEST_F(StockTest, WhatIsAboardDecidesTheBalance) {
  window->openDemo("tarnbrook-2000");
  QApplication::processEvents();
  part("balance.0");
  press("addAboard");
  QApplication::processEvents();
  ASSERT_EQ(design().balance.aboard.size(), 1u);
  type("balance.aboard.0.grams", "1000");
  type("balance.aboard.0.aft", "40");
  const double at = figure("balance.at");
  type("balance.aboard.0.aft", "50");
  EXPECT_GT(figure("balance.at"), at);
  press("removeAboard");
  QApplication::processEvents();
  EXPECT_TRUE(design().balance.aboard.empty());
  EXPECT_EQ(figureNamed(window->document().wing(), "balance.margin"), nullptr) << "wings alone have no margin";
}

} // namespace
} // namespace eup::app::test
