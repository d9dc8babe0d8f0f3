#include "app/frame/rail.h"
#include "app/state/document.h"
#include "core/described/decisions.h"
#include "core/edit/wing_edit.h"
#include "driver.h"
#include <random>

namespace eup::app::test {
namespace {

Design withChord(const Document& document, double chord) {
  Design d = document.design();
  d.inner().panel.rootChord = chord;
  return d;
}

TEST(DocumentTest, UndoesAndRedoesByName) {
  Document document;
  QSignalSpy changed(&document, &Document::changed);
  document.edit("Root chord", withChord(document, 230));
  document.edit("Root chord again", withChord(document, 240));
  EXPECT_EQ(changed.count(), 2);
  EXPECT_EQ(document.undoName(), "Root chord again");
  document.undo();
  EXPECT_DOUBLE_EQ(document.design().inner().panel.rootChord, 230);
  EXPECT_DOUBLE_EQ(document.wing().inner().frame.ribs[0].frame.chord, 230) << "the wing follows back";
  EXPECT_EQ(document.redoName(), "Root chord again");
  document.redo();
  EXPECT_DOUBLE_EQ(document.design().inner().panel.rootChord, 240);
  document.undo();
  document.edit("Another way", withChord(document, 250));
  EXPECT_FALSE(document.canRedo()) << "a new way closes the old one";
  document.undo();
  document.undo();
  document.undo();
  EXPECT_EQ(document.design(), newWing());
}

TEST(DocumentTest, SameAgainIsNoStep) {
  Document document;
  document.edit("nothing", document.design());
  EXPECT_FALSE(document.canUndo());
  EXPECT_FALSE(document.modified());
}

TEST(DocumentTest, RowsOfMergedEditsAreOneStep) {
  Document document;
  for (int i = 0; i < 20; ++i) document.edit("drag", withChord(document, 221 + i), "drag:x");
  document.settle();
  for (int i = 0; i < 20; ++i) document.edit("drag", withChord(document, 261 + i), "drag:x");
  document.undo();
  EXPECT_DOUBLE_EQ(document.design().inner().panel.rootChord, 240) << "letting go ends the row";
  document.undo();
  EXPECT_DOUBLE_EQ(document.design().inner().panel.rootChord, 220);
}

TEST(DocumentTest, KeepsAThousandEditsInBounds) {
  Document document;
  Design small = document.design(); // quick to work out
  small.inner().ribs.count = 2, small.inner().join.braces.clear();
  small.inner().spars.front().webs = Webs::none, small.inner().sheeting.top = small.inner().sheeting.bottom = false;
  document.replace(small, {}, false);
  for (int i = 0; i < 520; ++i) document.edit("edit", withChord(document, 200 + i % 100 + 0.25));
  int steps = 0;
  for (; document.canUndo(); ++steps) document.undo();
  EXPECT_EQ(steps, 500);
}

/// Any decisions in any order with the window looking on: it shows every one of them, or says why not.
TEST(DocumentTest, AnyDecisionsInAnyOrderAreShown) {
  QTemporaryDir state;
  MainWindow window(state.path());
  window.resize(980, 620);
  window.show();
  std::mt19937 engine(20261125); // a fixed seed: the same edits every time
  const auto random = [&engine] { return static_cast<int>(engine() % 100000); };
  int taken = 0;
  for (int i = 0; i < 90; ++i) {
    const auto decisions = decisionsOf(window.document().design());
    const Decision& d = decisions[static_cast<std::size_t>(random()) % decisions.size()];
    Result<Design> next = Problem{};
    if (!d.choices.empty())
      next = decide(window.document().design(), d.path,
                    d.choices[static_cast<std::size_t>(random()) % d.choices.size()].first);
    else if (d.kind == DecisionKind::flag)
      next = decide(window.document().design(), d.path, random() % 2 ? "yes" : "no");
    else
      next = decideValue(window.document().design(), d.path,
                         d.limits.low + (d.limits.high - d.limits.low) * (random() % 1000) / 4000.0);
    if (!next) continue;
    ++taken;
    window.document().edit(QString::fromStdString(d.label), next.value());
    window.standpoint().setStage(allStages[random() % 5]);
    window.standpoint().setHand(static_cast<ShownHand>(random() % 3));
    window.standpoint().setRib(1 + random() % static_cast<int>(window.document().wing().inner().frame.ribs.size()));
    EXPECT_TRUE(isDrawn(*window.board(window.standpoint().stage())));
    for (const Handle& h : window.board(window.standpoint().stage())->handlesNow()) {
      const auto pulled = h.pull(window.document().design(), {3, -2});
      if (!pulled) {
        EXPECT_FALSE(pulled.problem().text().empty());
      }
    }
  }
  EXPECT_GT(taken, 60);
  while (window.document().canUndo()) window.document().undo();
  EXPECT_EQ(window.document().design(), newWing());
}

class More : public WindowTest {};

TEST_F(More, RailTellsTheStateOfEachStage) {
  const auto words = [&](int number) { return find<QToolButton>(QString("stage%1").arg(number))->accessibleName(); };
  window->newWing();
  EXPECT_TRUE(words(3).contains("untouched")) << words(3).toStdString();
  stage(3);
  type("panel.rootChord", "230");
  EXPECT_TRUE(words(3).contains("settled"));
  type("panel.washout", "-3");
  EXPECT_TRUE(words(3).contains("1 finding")) << words(3).toStdString();
  window->document().undo();
  EXPECT_TRUE(words(3).contains("settled"));
}

TEST_F(More, FindingCardsLeadToTheirDecision) {
  stage(3);
  type("panel.washout", "-3");
  QApplication::processEvents();
  clickRow("▲ The tip is turned nose up");
  clickRow("Go to the decision");
  QApplication::processEvents();
  EXPECT_EQ(window->focusWidget(), find<QLineEdit>("panel.washout"));
}

TEST_F(More, StationsAreTypedAsAList) {
  stage(3);
  tab("Rib places");
  choose("ribs.rule", "stations");
  EXPECT_EQ(design().inner().ribs.stations.size(), 14u) << "by way of even spacing, which makes one more";
  type("ribs.stations", "0; 10 in; 500; 748");
  EXPECT_EQ(design().inner().ribs.stations.size(), 4u);
  EXPECT_NEAR(design().inner().ribs.stations[1], 254, 1e-9);
  type("ribs.stations", "0; 900");
  EXPECT_FALSE(window->document().possible());
  QTest::keyClick(window.get(), Qt::Key_Z, Qt::ControlModifier);
  EXPECT_TRUE(window->document().possible());
  EXPECT_EQ(design().inner().ribs.stations.size(), 4u);
}

TEST_F(More, HandTurnsByKey) {
  QTest::keyClick(window.get(), Qt::Key_H, Qt::ControlModifier);
  EXPECT_EQ(window->standpoint().hand(), ShownHand::left);
  QTest::keyClick(window.get(), Qt::Key_H, Qt::ControlModifier);
  EXPECT_EQ(window->standpoint().hand(), ShownHand::both);
  QTest::keyClick(window.get(), Qt::Key_H, Qt::ControlModifier);
  EXPECT_EQ(window->standpoint().hand(), ShownHand::right);
}

TEST_F(More, RibIsPickedOnTheBoards) {
  stage(4);
  const int before = window->standpoint().rib();
  QTest::mouseClick(board(), Qt::LeftButton, {}, QPoint(420, 505));
  EXPECT_NE(window->standpoint().rib(), before) << "a click on a small rib";
  stage(3);
  QTest::mouseClick(board(), Qt::LeftButton, {}, board()->screen({700, -90}).toPoint());
  EXPECT_EQ(window->standpoint().rib(), 12);
}

TEST_F(More, RiseAndAngleFollowEachOther) {
  stage(6);
  type("join.dihedral.angle", "5");
  EXPECT_EQ(design().inner().join.dihedral.by, DihedralBy::angle);
  EXPECT_NEAR(figure("join.rise"), 748 * std::sin(degToRad(5)), 1e-6);
  type("join.dihedral.rise", "2 in");
  EXPECT_NEAR(figure("join.rise"), 50.8, 1e-9);
  EXPECT_EQ(shown("join.dihedral.angle").toDouble(), 3.894);
}

TEST_F(More, LeavingUnsavedAsksFirst) {
  stage(3);
  type("panel.rootChord", "239");
  auto answers = std::make_unique<Answers>();
  Answers& person = *answers;
  window->askBy(std::move(answers));
  person.unsaved = Asking::Unsaved::cancel;
  EXPECT_FALSE(window->close());
  EXPECT_TRUE(window->isVisible());
  EXPECT_EQ(person.asked, 1);
  person.unsaved = Asking::Unsaved::discard;
  EXPECT_TRUE(window->close());
}

TEST_F(More, LightAndDarkAreBothReadable) {
  for (const Look& look : {lightLook(), darkLook()}) {
    // Contrast of text on its ground by relative luminance (WCAG 2.1): 4.5 to 1 for text.
    const auto luminance = [](const QColor& c) {
      const auto part = [](double v) { return v <= 0.03928 ? v / 12.92 : std::pow((v + 0.055) / 1.055, 2.4); };
      return 0.2126 * part(c.redF()) + 0.7152 * part(c.greenF()) + 0.0722 * part(c.blueF());
    };
    const auto contrast = [&](const QColor& a, const QColor& b) {
      const double x = luminance(a), y = luminance(b);
      return (std::max(x, y) + 0.05) / (std::min(x, y) + 0.05);
    };
    for (const QColor& ground : {look.paper, look.panel, look.rail, look.field}) {
      EXPECT_GT(contrast(look.ink, ground), 7);
      EXPECT_GT(contrast(look.faint, ground), 4.5) << ground.name().toStdString();
      EXPECT_GT(contrast(look.accent, ground), 4.5) << ground.name().toStdString();
      EXPECT_GT(contrast(look.wrong, ground), 4.5) << ground.name().toStdString();
    }
  }
}

TEST_F(More, EverythingIsReachedByTab) {
  stage(3);
  window->activateWindow();
  board()->setFocus();
  std::set<QWidget*> seen;
  for (int i = 0; i < 120; ++i) {
    QTest::keyClick(QApplication::focusWidget() ? QApplication::focusWidget() : window.get(), Qt::Key_Tab);
    if (QWidget* now = QApplication::focusWidget()) seen.insert(now);
  }
  for (const char* field : {"panel.span", "panel.washoutAxis", "find"})
    EXPECT_TRUE(seen.contains(find<QLineEdit>(field))) << field;
  EXPECT_TRUE(seen.contains(find<QToolButton>("stage4")));
  EXPECT_TRUE(seen.contains(find<QToolButton>("hand left")));
  EXPECT_TRUE(seen.contains(window->findChild<SpanRule*>()));
}

} // namespace
} // namespace eup::app::test
