#include "app/frame/shots.h"
#include "app/boards/board.h"
#include "app/decide/decide_panel.h"
#include "app/decide/plan_panel.h"
#include "app/dialogs/cut_window.h"
#include "app/dialogs/export_dialog.h"
#include "app/dialogs/trial_dialog.h"
#include "app/frame/follows_panel.h"
#include "app/frame/main_window.h"
#include <QApplication>
#include <QDir>
#include <QMouseEvent>
#include <QSlider>
#include <QTemporaryDir>

namespace eup::app {

QStringList writeShots(const QString& folder) {
  QDir().mkpath(folder);
  const QTemporaryDir state;
  MainWindow window(state.path());
  window.openDemo();
  window.resize(1280, 800);
  window.show();
  QStringList written;
  bool failed = false;
  const auto shoot = [&](QWidget& what, const QString& name) {
    for (int i = 0; i < 5; ++i) { // what a change builds anew is laid out a moment later
      QApplication::processEvents();
      QApplication::sendPostedEvents(nullptr, QEvent::DeferredDelete);
    }
    const QString path = folder + "/" + name + ".png";
    if (what.grab().save(path))
      written << path;
    else
      failed = true;
  };
  const auto stage = [&](Stage s, int rib) {
    window.standpoint().setStage(s);
    window.standpoint().setRib(rib);
    QApplication::processEvents();
    window.board(s)->fit();
    window.board(s)->setFocus();
  };
  auto* follows = window.findChild<FollowsPanel*>();
  const auto plan = [&](const char* demo, PlanPanel::Page page, const char* name) {
    window.openDemo(demo);
    window.document().planImages().settle(20000);
    stage(Stage::plan, 1);
    window.plan().turnTo(page);
    shoot(window, name);
  };
  plan("fenlark-faulty-plan", PlanPanel::Page::judge, "plan-judged");
  plan("fenlark-plan", PlanPanel::Page::makeTrue, "plan-made-true");
  auto* planBoard = qobject_cast<PlanBoard*>(window.board(Stage::plan));
  planBoard->reveal(24);
  planBoard->setKind(ReadingKind::trailingEdge);
  window.plan().turnTo(PlanPanel::Page::read);
  const QPointF over = QPointF(planBoard->rect().center()) + QPointF(4, -3);
  QMouseEvent move(QEvent::MouseMove, over, planBoard->mapToGlobal(over), Qt::NoButton, Qt::NoButton, {});
  QApplication::sendEvent(planBoard, &move);
  shoot(window, "plan-read");
  planBoard->setTool(PlanTool::none);
  window.openDemo();
  stage(Stage::sections, 1);
  shoot(window, "sections");
  stage(Stage::panels, 5);
  shoot(window, "panels");
  stage(Stage::ribs, 6);
  shoot(window, "ribs");
  stage(Stage::spars, 4);
  shoot(window, "spars");
  stage(Stage::joins, 13);
  follows->reveal("join.block");
  shoot(window, "joins");
  stage(Stage::surfaces, 9);
  shoot(window, "hinge-surfaces");
  stage(Stage::stock, 4);
  window.standpoint().setPiece({}, PieceId{PieceKind::cap, 1, 0, 0, true});
  shoot(window, "stock");
  const Look light = lightLook();
  TrialDialog trial(window.document().now(), 0, light, &window);
  trial.show();
  shoot(trial, "trial");
  trial.close();
  window.openDemo("skerrow-1460");
  stage(Stage::build, 10);
  shoot(window, "build-and-check");
  window.openDemo("tarnbrook-2000");
  stage(Stage::skins, 2);
  shoot(window, "skins");
  window.openDemo("bracklow-430");
  stage(Stage::skins, 6);
  shoot(window, "panel-of-sheet");
  window.openDemo("calderby-2200");
  stage(Stage::foam, 9);
  window.standpoint().choose({Topic::inCore, 0});
  shoot(window, "cut-foam");
  Asking asks({});
  CutWindow cut(window.document().now(), window.standpoint().shownPanel().design.id, 1, Hand::right, light, asks,
                &window);
  cut.findChild<QSlider*>("timeRule")->setValue(cut.findChild<QSlider*>("timeRule")->maximum() * 7 / 10);
  cut.show();
  shoot(cut, "the-cut");
  cut.close();
  window.openDemo("oldacre-1320");
  stage(Stage::panels, 13);
  window.showInSpace(SpaceView::turned);
  shoot(window, "in-space");
  window.openDemo();
  window.standpoint().setHand(ShownHand::left);
  window.setDark(true);
  stage(Stage::ribs, 3);
  shoot(window, "left-hand-dark");
  window.setDark(false);
  Asking asking({});
  ExportDialog dialog(window.document().now(), "fenlark-1500", asking, &window);
  dialog.show();
  (void)dialog.settle();
  shoot(dialog, "to-the-bench");
  return failed ? QStringList() : written;
}

} // namespace eup::app
