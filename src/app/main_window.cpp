#include "app/main_window.h"
#include "app/bench_panel.h"
#include "app/cut_window.h"
#include "app/decide_panel.h"
#include "app/follows_panel.h"
#include "app/load_curves.h"
#include "app/piece_table.h"
#include "app/place_bar.h"
#include "app/plan_panel.h"
#include "app/rail.h"
#include "app/span_rule.h"
#include "app/stage_boards.h"
#include "app/tight_scroll.h"
#include <QApplication>
#include <QCloseEvent>
#include <QComboBox>
#include <QCompleter>
#include <QLabel>
#include <QLineEdit>
#include <QMenuBar>
#include <QPushButton>
#include <QScrollArea>
#include <QScrollBar>
#include <QSettings>
#include <QStackedWidget>
#include <QStringListModel>
#include <QStyle>
#include <QSystemTrayIcon>
#include <QTimer>
#include <QToolButton>
#include <QVBoxLayout>

namespace eup::app {

MainWindow::MainWindow(const QString& folder, QWidget* parent) : QMainWindow(parent), stateFolder(folder) {
  theAutosave = new Autosave(theDocument, folder, this);
  connect(theAutosave, &Autosave::failed, this, [this](const QString& why) {
    say(tr("What is not saved cannot be kept against a crash: save the wing soon. %1").arg(why), true);
  });
  connect(&theDocument, &Document::refused, this, [this](const QString& why) { say(why, true); });
  asking = std::make_unique<Asking>(settingsFile());
  setMinimumSize(980, 620);
  resize(1280, 800);
  restoreGeometry(QSettings(settingsFile(), QSettings::IniFormat).value("window").toByteArray());
  auto* furniture = new QWidget(this);
  furniture->setObjectName("furniture");
  auto* rows = new QVBoxLayout(furniture);
  rows->setContentsMargins(0, 0, 0, 0);
  rows->setSpacing(0);
  rows->addWidget(makeTopBar());
  rows->addWidget(makeMessageBar());
  auto* across = new QHBoxLayout;
  across->setSpacing(0);
  across->addWidget(new Rail(theDocument, theStandpoint, furniture));
  auto* middle = new QVBoxLayout;
  middle->setSpacing(0);
  stack = new QStackedWidget(furniture);
  for (Stage stage : allStages) {
    Board* board = makeBoard(stage, theDocument, theStandpoint, look, stack);
    board->setObjectName(QString("board %1").arg(name(stage)));
    board->setAccessibleName(tr("Board: %1. Comma and full stop choose a handle, arrow keys move it").arg(name(stage)));
    boards[stage] = board;
    stack->addWidget(board);
  }
  spaceBoard = new SpaceBoard(theDocument, theStandpoint, look, stack);
  spaceBoard->setObjectName("board in space");
  spaceBoard->setAccessibleName(tr("The finished wing in space: arrow keys turn it"));
  stack->addWidget(spaceBoard);
  spanRule = new SpanRule(theDocument, theStandpoint, look, furniture);
  spanRule->setObjectName("spanRule");
  loadCurves = new LoadCurves(theDocument, theStandpoint, *spanRule, look, furniture);
  placeBar = new PlaceBar(theDocument, theStandpoint, furniture);
  middle->addWidget(placeBar);
  middle->addWidget(stack, 1);
  middle->addWidget(loadCurves);
  pieceTable = new PieceTable(theDocument, theStandpoint, furniture);
  middle->addWidget(pieceTable, 1);
  benchPanel = new BenchPanel(
      theDocument, theStandpoint, [this]() -> Asking& { return *asking; }, furniture);
  middle->addWidget(benchPanel, 1);
  middle->addWidget(spanRule);
  across->addLayout(middle, 1);
  across->addWidget(makeSide());
  rows->addLayout(across, 1);
  setCentralWidget(furniture);

  connect(&benchPanel->clock(), &BenchClock::cured, this, &MainWindow::sound);
  connect(&theDocument, &Document::touched, this, [this](const QString& what) { say(what); });
  connect(&theDocument, &Document::changed, this, &MainWindow::refresh);
  connect(&theStandpoint, &Standpoint::changed, this, &MainWindow::refresh);
  setDark(QSettings(settingsFile(), QSettings::IniFormat).value("dark", false).toBool());
  rebuildRecent();
  refresh(everything);
  boards.at(theStandpoint.stage())->setFocus();
}

/// A field that has the focus says that it is finished when it loses it: while all that it speaks of is still there.
MainWindow::~MainWindow() {
  if (QWidget* field = focusWidget()) field->clearFocus();
}

QWidget* MainWindow::makeTopBar() {
  auto* bar = new QWidget(this);
  bar->setObjectName("topBar");
  bar->setAttribute(Qt::WA_StyledBackground);
  bar->setFixedHeight(46);
  auto* row = new QHBoxLayout(bar);
  row->setContentsMargins(8, 4, 12, 4);
  row->setSpacing(8);
  auto* menus = new QMenuBar(bar);
  menus->setNativeMenuBar(false);
  menus->setSizePolicy(QSizePolicy::Minimum, QSizePolicy::Preferred);
  makeMenus(menus);
  row->addWidget(menus, 0, Qt::AlignVCenter);
  nameLabel = new QLabel(bar);
  nameLabel->setObjectName("title");
  row->addWidget(nameLabel);
  row->addStretch();
  auto* hands = new QHBoxLayout;
  hands->setSpacing(0);
  for (const auto& [hand, words] : {std::pair(ShownHand::left, tr("Left")), std::pair(ShownHand::both, tr("Both")),
                                    std::pair(ShownHand::right, tr("Right"))}) {
    auto* button = new QToolButton(bar);
    button->setText(words);
    button->setCheckable(true);
    button->setProperty("segment", true);
    button->setFocusPolicy(Qt::StrongFocus);
    button->setObjectName("hand " + words.toLower());
    button->setAccessibleName(tr("Show the %1 hand").arg(words.toLower()));
    connect(button, &QToolButton::clicked, this, [this, hand = hand] {
      theStandpoint.setHand(hand);
      refresh(Aspect::view);
    });
    handButtons[hand] = button;
    hands->addWidget(button);
  }
  row->addLayout(hands);
  unitBox = new QComboBox(bar);
  unitBox->setObjectName("unit");
  unitBox->setAccessibleName(tr("Lengths in"));
  unitBox->addItems({tr("mm"), tr("inches")});
  connect(unitBox, &QComboBox::activated, this, [this](int i) {
    Design next = theDocument.design();
    next.unit = i == 1 ? LengthUnit::inch : LengthUnit::mm;
    theDocument.edit(tr("Lengths in %1").arg(unitBox->itemText(i)), std::move(next));
  });
  row->addWidget(unitBox);
  row->addStretch();
  undoButton = new QToolButton(bar);
  undoButton->setObjectName("undo");
  connect(undoButton, &QToolButton::clicked, &theDocument, &Document::undo);
  redoButton = new QToolButton(bar);
  redoButton->setObjectName("redo");
  connect(redoButton, &QToolButton::clicked, &theDocument, &Document::redo);
  row->addWidget(undoButton);
  row->addWidget(redoButton);
  findBox = new QLineEdit(bar);
  findBox->setObjectName("find");
  findBox->setPlaceholderText(tr("Find a figure"));
  findBox->setAccessibleName(tr("Find a figure"));
  findBox->setFixedWidth(158);
  findBox->installEventFilter(this);
  auto* completer = new QCompleter(new QStringListModel(this), this);
  completer->setCaseSensitivity(Qt::CaseInsensitive);
  completer->setFilterMode(Qt::MatchContains);
  findBox->setCompleter(completer);
  const auto go = [this] {
    const QString key = findBox->text().section(" — ", 1).trimmed();
    if (followsPanel->reveal((key.isEmpty() ? findBox->text().trimmed() : key).toStdString())) findBox->clear();
  };
  connect(completer, qOverload<const QString&>(&QCompleter::activated), this, go, Qt::QueuedConnection);
  connect(findBox, &QLineEdit::returnPressed, this, go);
  row->addWidget(findBox);
  return bar;
}

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
  add(view, "fit", tr("Fit the board"), QKeySequence("Ctrl+F"), [this] { shownBoard()->fit(); });
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

QWidget* MainWindow::makeMessageBar() {
  messageBar = new QFrame(this);
  messageBar->setObjectName("message");
  auto* row = new QHBoxLayout(messageBar);
  row->setContentsMargins(16, 6, 10, 6);
  messageText = new QLabel(messageBar);
  messageText->setObjectName("messageText");
  messageText->setWordWrap(true);
  messageText->setTextInteractionFlags(Qt::TextSelectableByMouse);
  row->addWidget(messageText, 1);
  recoverButton = new QToolButton(messageBar);
  recoverButton->setObjectName("recover");
  recoverButton->setText(tr("Take it back"));
  recoverButton->hide();
  connect(recoverButton, &QToolButton::clicked, this, [this] {
    if (recoverable) takeBack(KeptState(*recoverable));
  });
  row->addWidget(recoverButton);
  auto* close = new QToolButton(messageBar);
  close->setObjectName("closeMessage");
  close->setText(tr("Close"));
  connect(close, &QToolButton::clicked, messageBar, &QFrame::hide);
  row->addWidget(close);
  messageBar->hide();
  return messageBar;
}

QWidget* MainWindow::makeSide() {
  auto* side = new QWidget(this);
  side->setObjectName("side");
  side->setAttribute(Qt::WA_StyledBackground);
  side->setFixedWidth(356);
  auto* column = new QVBoxLayout(side);
  column->setContentsMargins(0, 0, 0, 10);
  column->setSpacing(6);
  decideScroll = new TightScroll(side);
  decideScroll->setObjectName("decideScroll");
  auto* inside = new QWidget;
  auto* rows = new QVBoxLayout(inside);
  rows->setContentsMargins(16, 10, 12, 4);
  decidePanel = new DecidePanel(theDocument, theStandpoint, inside);
  planPanel = new PlanPanel(
      theDocument, theStandpoint, *qobject_cast<PlanBoard*>(boards.at(Stage::plan)),
      [this]() -> Asking& { return *asking; }, inside);
  connect(planPanel, &PlanPanel::said, this, &MainWindow::say);
  connect(planPanel, &PlanPanel::wantsReferencePrint, this, &MainWindow::chooseReference);
  rows->addWidget(decidePanel);
  rows->addWidget(planPanel);
  rows->addStretch();
  decideScroll->setWidget(inside);
  auto* line = new QFrame(side);
  line->setObjectName("divider");
  line->setFixedHeight(2);
  auto* below = new QWidget(side);
  auto* belowRows = new QVBoxLayout(below);
  belowRows->setContentsMargins(16, 4, 12, 0);
  followsPanel = new FollowsPanel(theDocument, theStandpoint, look, below);
  belowRows->addWidget(followsPanel);
  below->setMinimumHeight(270); // what follows is always in sight
  column->addWidget(decideScroll, 0);
  column->addWidget(line);
  column->addWidget(below, 1);
  auto* bench = new QPushButton(tr("To the bench…"), side);
  bench->setObjectName("primary");
  bench->setToolTip(tr("Ribs, plan and bench card as PDF, SVG or DXF (Ctrl+P)"));
  connect(bench, &QPushButton::clicked, this, &MainWindow::showExport);
  auto* foot = new QHBoxLayout;
  foot->setContentsMargins(16, 0, 12, 0);
  foot->addWidget(bench);
  foot->addStretch();
  column->addLayout(foot);
  connect(decidePanel, &DecidePanel::openTables, this, &MainWindow::showTables);
  connect(decidePanel, &DecidePanel::tryTogether, this, &MainWindow::showTrial);
  connect(decidePanel, &DecidePanel::openCoordinates, this, &MainWindow::chooseCoordinates);
  connect(decidePanel, &DecidePanel::writeSection, this, &MainWindow::chooseSectionFile);
  connect(decidePanel, &DecidePanel::writeWire, this, &MainWindow::chooseWireFile);
  connect(decidePanel, &DecidePanel::watchCut, this, &MainWindow::showCut);
  connect(decidePanel, &DecidePanel::refused, this, [this](const QString& why) { say(why, true); });
  connect(followsPanel, &FollowsPanel::wanted, this, [this](const QString& path) {
    decidePanel->focusDecision(path.toStdString());
    if (QWidget* editor = decidePanel->editorOf(path.toStdString())) decideScroll->ensureWidgetVisible(editor, 0, 30);
  });
  return side;
}

Board* MainWindow::shownBoard() {
  return theStandpoint.inSpace() ? spaceBoard : boards.at(theStandpoint.stage());
}

void MainWindow::showInSpace(SpaceView view) {
  theStandpoint.setInSpace(true);
  spaceBoard->lookFrom(view);
  spaceBoard->setFocus();
}

void MainWindow::refresh(Changes what) {
  stack->setCurrentWidget(shownBoard());
  const bool onPlan = theStandpoint.stage() == Stage::plan;
  decidePanel->setVisible(!onPlan);
  placeBar->setVisible(!onPlan); // the plan is one of the whole wing
  pieceTable->setVisible(theStandpoint.stage() == Stage::stock && stack->currentWidget() != spaceBoard);
  benchPanel->setVisible(theStandpoint.stage() == Stage::build && stack->currentWidget() != spaceBoard);
  loadCurves->setVisible(theStandpoint.stage() == Stage::spars && stack->currentWidget() != spaceBoard);
  planPanel->setVisible(onPlan);
  for (const auto& [hand, button] : handButtons) button->setChecked(theStandpoint.hand() == hand);
  unitBox->setCurrentIndex(theDocument.design().unit == LengthUnit::inch ? 1 : 0);
  const QString undo = theDocument.undoName(), redo = theDocument.redoName();
  const auto shortened = [this](const QString& s) { return fontMetrics().elidedText(s, Qt::ElideRight, 130); };
  undoButton->setText("↶ " + shortened(undo));
  redoButton->setText("↷ " + shortened(redo));
  undoButton->setEnabled(theDocument.canUndo());
  redoButton->setEnabled(theDocument.canRedo());
  undoButton->setAccessibleName(tr("Undo %1").arg(undo));
  redoButton->setAccessibleName(tr("Redo %1").arg(redo));
  undoAction->setText(tr("Undo %1").arg(undo));
  redoAction->setText(tr("Redo %1").arg(redo));
  enableActions();
  if (what & (Aspect::file | Aspect::design)) refreshFile();
}

void MainWindow::enableActions() {
  undoAction->setEnabled(theDocument.canUndo());
  redoAction->setEnabled(theDocument.canRedo());
  const bool wing = theDocument.hasWing();
  actions.at("bench")->setEnabled(theDocument.possible());
  actions.at("bench")->setToolTip(whyNoWing());
  actions.at("save")->setEnabled(theDocument.modified() || theDocument.path().isEmpty());
  actions.at("leaveSpace")->setEnabled(theStandpoint.inSpace());
  for (const char* id : {"nextRib", "ribBefore", "fromAbove", "fromBehind", "fromTheSide", "turned"})
    actions.at(id)->setEnabled(wing);
  actions.at("nextRib")->setEnabled(wing && theStandpoint.shownRib().number < theStandpoint.shownWing().stationCount());
  actions.at("ribBefore")->setEnabled(wing && theStandpoint.shownRib().number > 1);
  actions.at("underlay")->setEnabled(!theDocument.design().plan.sheets.empty());
}

QString MainWindow::whyNoWing() const {
  return theDocument.possible()
             ? QString()
             : tr("These decisions contradict each other: cure the findings first, then take the files.");
}

/// When one begins to type there: all figures are written for it.
void MainWindow::rebuildFigureNames() {
  auto* model = qobject_cast<QStringListModel*>(findBox->completer()->model());
  QStringList names;
  if (theDocument.hasWing())
    for (const Figure& f : theDocument.wing().figures())
      names << QString::fromStdString(f.label + (f.rib ? " R" + std::to_string(*f.rib) : "") + " — " + f.key);
  model->setStringList(names);
}

bool MainWindow::eventFilter(QObject* watched, QEvent* event) {
  if (watched == findBox && event->type() == QEvent::FocusIn) rebuildFigureNames();
  return QMainWindow::eventFilter(watched, event);
}

void MainWindow::refreshFile() {
  const QString name = QString::fromStdString(theDocument.design().name);
  nameLabel->setText(fontMetrics().elidedText(name, Qt::ElideRight, 150) + (theDocument.modified() ? " •" : ""));
  nameLabel->setToolTip(theDocument.path().isEmpty() ? tr("not saved yet") : theDocument.path());
  setWindowTitle(QString("%1%2 — Euptera").arg(name, theDocument.modified() ? tr(" (not saved)") : ""));
}

void MainWindow::say(const QString& words, bool wrong) {
  messageText->setText(words);
  messageBar->setProperty("wrong", wrong);
  messageBar->style()->polish(messageBar);
  recoverButton->hide();
  messageBar->show();
}

void MainWindow::sound(const QString& words) {
  say(words);
  QApplication::alert(this);
  QApplication::beep();
  if (!tray && QSystemTrayIcon::isSystemTrayAvailable()) tray = new QSystemTrayIcon(windowIcon(), this);
  if (!tray) return;
  tray->show();
  tray->showMessage(tr("Euptera"), words, QSystemTrayIcon::Information);
}

QString MainWindow::message() const {
  return messageBar->isHidden() ? QString() : messageText->text();
}

void MainWindow::setDark(bool dark) {
  look = dark ? darkLook() : lightLook();
  qApp->setStyleSheet(app::styleSheet(look));
  QSettings(settingsFile(), QSettings::IniFormat).setValue("dark", dark);
  for (const auto& [stage, board] : boards) board->update();
  if (spanRule) spanRule->update();
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

void MainWindow::closeEvent(QCloseEvent* event) {
  if (cutWindow && cutWindow->busy()) {
    say(tr("A machine is at work: stop it before you leave."), true);
    return event->ignore();
  }
  if (!mayLeave()) return event->ignore();
  theAutosave->forget();
  QSettings(settingsFile(), QSettings::IniFormat).setValue("window", saveGeometry());
  event->accept();
}

} // namespace eup::app
