#include "app/frame/main_window.h"
#include "app/bench/bench_panel.h"
#include "app/bench/piece_table.h"
#include "app/boards/load_curves.h"
#include "app/boards/span_rule.h"
#include "app/boards/stage_boards.h"
#include "app/decide/decide_panel.h"
#include "app/decide/plan_panel.h"
#include "app/dialogs/cut_window.h"
#include "app/frame/follows_panel.h"
#include "app/frame/place_bar.h"
#include "app/frame/rail.h"
#include "app/look/tight_scroll.h"
#include "app/state/undo_in_fields.h"
#include "core/report/told.h"
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
  new UndoInFields(this);
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
    for (const Figure& f : figuresOf(theDocument.wing()))
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
