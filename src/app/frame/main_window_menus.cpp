// The window's menus, and what they tell.
#include "app/boards/board.h"
#include "app/boards/span_rule.h"
#include "app/frame/main_window.h"
#include <QAction>
#include <QLineEdit>
#include <QMenu>
#include <QMenuBar>

namespace eup::app {

void MainWindow::makeMenus(QMenuBar* bar) {
  const auto add = [this](QMenu* menu, const QString& id, const QString& words, const QKeySequence& key, auto run) {
    QAction* action = menu->addAction(words);
    action->setObjectName("action " + id);
    actions[id] = action;
    action->setShortcut(key);
    connect(action, &QAction::triggered, this, run);
    return action;
  };
  QMenu* file = bar->addMenu(tr("&File"));
  add(file, "new", tr("&New wing"), QKeySequence::New, [this] {
    if (mayLeave()) newWing();
  });
  add(file, "open", tr("&Open…"), QKeySequence::Open, [this] { chooseAndOpen(); });
  recentMenu = file->addMenu(tr("Open &recent"));
  QMenu* demos = file->addMenu(tr("Open a &demo"));
  for (const auto& [words, name] :
       {std::pair(tr("Fenlark 1500: a sport wing, one panel a side"), "fenlark-1500"),
        std::pair(tr("Tarnbrook 2000: a soarer, three panels a side"), "tarnbrook-2000"),
        std::pair(tr("Skerrow 1460: swept and tapered"), "skerrow-1460"),
        std::pair(tr("Lanehurst 1180: swept, with crossing ribs"), "lanehurst-1180"),
        std::pair(tr("Oldacre 1320: undercambered, tips turned up"), "oldacre-1320"),
        std::pair(tr("Gossamoor 480: indoor, curved plates"), "gossamoor-480"),
        std::pair(tr("Bracklow 430: chuck glider, of sheet"), "bracklow-430"),
        std::pair(tr("Whinmoor 1250: flying plank, of foam"), "whinmoor-1250"),
        std::pair(tr("Calderby 2200: scale wing, its outer panels of foam"), "calderby-2200"),
        std::pair(tr("A clean plan of the Fenlark, read"), "fenlark-plan"),
        std::pair(tr("A plan of it with faults, read"), "fenlark-faulty-plan")})
    add(demos, "demo " + QString(name), words, {}, [this, name = name] {
      if (mayLeave()) openDemo(name);
    });
  file->addSeparator();
  add(file, "save", tr("&Save"), QKeySequence::Save, [this] { save(); });
  add(file, "saveAs", tr("Save &as…"), QKeySequence::SaveAs, [this] { saveAs(); });
  add(file, "kept", tr("States that were &kept…"), {}, [this] { showKept(); });
  file->addSeparator();
  add(file, "bench", tr("&To the bench: prints and files…"), QKeySequence("Ctrl+P"), [this] { showExport(); });
  file->addSeparator();
  add(file, "quit", tr("&Quit"), QKeySequence::Quit, [this] { close(); });
  QMenu* edit = bar->addMenu(tr("&Edit"));
  undoAction = add(edit, "undo", tr("Undo"), QKeySequence::Undo, [this] { theDocument.undo(); });
  redoAction = add(edit, "redo", tr("Redo"), QKeySequence::Redo, [this] { theDocument.redo(); });
  redoAction->setShortcuts(
      {QKeySequence("Ctrl+Shift+Z"), QKeySequence("Ctrl+Y")}); // both, whatever the platform calls its own
  edit->addSeparator();
  add(edit, "tables", tr("&Materials, load factors, servos…"), QKeySequence("Ctrl+M"),
      [this] { showTables(Shelf::material); });
  edit->addSeparator();
  add(edit, "find", tr("Find a figure"), QKeySequence::Find, [this] {
    findBox->setFocus();
    findBox->selectAll();
  });
  QMenu* view = bar->addMenu(tr("&View"));
  add(view, "turnHand", tr("Turn the hand"), QKeySequence("Ctrl+H"), [this] {
    const ShownHand now = theStandpoint.hand();
    theStandpoint.setHand(now == ShownHand::right  ? ShownHand::left
                          : now == ShownHand::left ? ShownHand::both
                                                   : ShownHand::right);
  });
  add(view, "nextRib", tr("Next rib"), QKeySequence("Alt+Right"), [this] { spanRule->step(1); });
  add(view, "ribBefore", tr("Rib before"), QKeySequence("Alt+Left"), [this] { spanRule->step(-1); });
  view->addSeparator();
  QMenu* space = view->addMenu(tr("The finished wing in &space"));
  for (const auto& [id, words, key, from] :
       {std::tuple("fromAbove", tr("From above"), "Ctrl+Shift+A", SpaceView::above),
        std::tuple("fromBehind", tr("From behind"), "Ctrl+Shift+B", SpaceView::behind),
        std::tuple("fromTheSide", tr("From the side"), "Ctrl+Shift+S", SpaceView::side),
        std::tuple("turned", tr("To be turned"), "Ctrl+Shift+T", SpaceView::turned)})
    add(space, id, words, QKeySequence(key), [this, from = from] { showInSpace(from); });
  add(space, "leaveSpace", tr("Back to the stage's own board"), QKeySequence("Ctrl+Shift+W"), [this] {
    theStandpoint.setInSpace(false);
    shownBoard()->setFocus();
  });
  add(view, "trial", tr("Put together on t&rial…"), QKeySequence("Ctrl+T"), [this] { showTrial(); });
  view->addSeparator();
  add(view, "fit", tr("Fit the board"), QKeySequence("Ctrl+Shift+F"), [this] { shownBoard()->fit(); });
  add(view, "closer", tr("Closer"), QKeySequence::ZoomIn,
      [this] { shownBoard()->zoomBy(1.25, shownBoard()->rect().center()); });
  add(view, "further", tr("Further away"), QKeySequence::ZoomOut,
      [this] { shownBoard()->zoomBy(0.8, shownBoard()->rect().center()); });
  QAction* under = add(view, "underlay", tr("Plan under the wing"), QKeySequence("Ctrl+U"),
                       [this] { theStandpoint.setUnderlay(!theStandpoint.underlay()); });
  under->setCheckable(true);
  under->setChecked(theStandpoint.underlay());
  view->addSeparator();
  add(view, "look", tr("Light or dark"), QKeySequence("Ctrl+D"), [this] { setDark(!look.dark); });
  QMenu* help = bar->addMenu(tr("&Help"));
  add(help, "help", tr("How to work here"), QKeySequence::HelpContents, [this] { showHelp(); });
  add(help, "about", tr("About Euptera"), {}, [this] {
    asking->tell(this, tr("About Euptera"),
                 tr("Euptera %1: true wings for builders of model aircraft.\n\nFree software under the GNU "
                    "General Public License, version 3 or later.\n\nStrength figures are estimates for model "
                    "aircraft and no approval of anything.")
                     .arg(EUPTERA_VERSION));
  });
}

void MainWindow::showHelp() {
  asking->tell(
      this, tr("How to work here"),
      tr("Left: the order of work. Middle: the board, worked on with the pointer. Right: what you "
         "decide, and what follows.\n\n"
         "Lengths are typed as on a plan: 48, 4.5 cm, 3/32\", 1 1/2 in, 2' 6\". A bare fraction "
         "is inches. Up and down nudge a field.\n\n"
         "On the board: wheel zooms, middle drag pans, double click fits. Comma and full stop "
         "choose a handle, arrow keys move it, Shift coarse, Alt fine.\n\n"
         "On the plan: arrow keys move the crosshair by a pixel (Shift ten, Alt a tenth), Space "
         "places a point, Enter finishes an outline, Backspace takes a point back, S turns snapping "
         "on and off, Esc ends.\n\n"
         "Span rule: ← → step from rib to rib, Home root, End tip; Alt+← and Alt+→ do so "
         "anywhere. The rib that you choose says which panel you work on. Ctrl+H turns the hand. "
         "Ctrl+1 to Ctrl+9, Ctrl+0 and Ctrl+B change the stage. Ctrl+T puts the wing together on trial. Ctrl+M opens "
         "the tables "
         "of materials, coverings, glues and load "
         "factors.\n\n"
         "View, The finished wing in space: from above, behind, the side, or turned by dragging and "
         "with the arrow keys.\n\n"
         "Cautions: blades and planes cut; cyanoacrylate bonds skin and its fumes sting; epoxy "
         "and solvents want gloves and air; balsa dust wants a mask. Read the maker's sheets. "
         "Strength figures are estimates for model aircraft, no approval of anything; fly in "
         "clear space by the local rules."));
}

} // namespace eup::app
