// One window: order of work, board, decide and follows, span rule.
#pragma once
#include "app/boards/space_board.h"
#include "app/look/look.h"
#include "app/state/asking.h"
#include "app/state/autosave.h"
#include "app/state/background.h"
#include "app/state/document.h"
#include "app/state/standpoint.h"
#include "core/takeaway/take_away.h"
#include <map>
#include <QMainWindow>
#include <QPointer>

class QComboBox;
class QFrame;
class QLabel;
class QLineEdit;
class QMenu;
class QScrollArea;
class QStackedWidget;
class QSystemTrayIcon;
class QToolButton;

namespace eup::app {

class CutWindow;

class BenchPanel;
class Board;
class DecidePanel;
class FollowsPanel;
class PlanPanel;
class SpanRule;

class MainWindow : public QMainWindow {
  Q_OBJECT
public:
  /// `stateFolder` keeps unsaved wings without a file and the list of recent files.
  explicit MainWindow(const QString& stateFolder, QWidget* parent = nullptr);
  ~MainWindow() override;

  Document& document() { return theDocument; }
  Standpoint& standpoint() { return theStandpoint; }
  Board* board(Stage stage) { return boards.at(stage); }
  /// The finished wing in place of the stage's own board.
  void showInSpace(SpaceView view);
  Autosave& autosave() { return *theAutosave; }
  /// Who asks the person from now on.
  void askBy(std::unique_ptr<Asking> another) { asking = std::move(another); }

  bool openFile(const QString& path);
  /// A shipped demo wing; without a name the first.
  void openDemo(const std::string& name = {});
  PlanPanel& plan() { return *planPanel; }
  BenchPanel& bench() { return *benchPanel; }
  DecidePanel& decide() { return *decidePanel; }
  /// Reference points of a plan for one hand, as the file's ending says.
  bool printReference(Hand hand, const QString& path);
  /// A section full size with gauges, or its coordinates.
  bool writeSectionTo(bool root, const QString& path, CoordinateLayout layout);
  void newWing();
  bool saveTo(const QString& path);
  bool importCoordinates(const QString& end, const QString& path);
  /// Writes the files of an order, with progress; says where they are, or what went wrong.
  bool exportTo(const QString& folder, const ExportOrder& order);
  void setDark(bool dark);
  /// What the message bar says now; empty when it is closed.
  QString message() const;
  QStringList recentFiles() const;
  /// Offers what a crash left behind for the open file.
  void offerRecovery();
  /// What went wrong where nothing should have: said, and what is open is kept.
  void sayFault(const QString& what);
  void takeBack(const KeptState& state);
  void showKept();

  /// The cut that is watched; null while none is.
  CutWindow* cut() const;

protected:
  void closeEvent(QCloseEvent*) override;
  bool eventFilter(QObject* watched, QEvent* event) override;

private:
  QWidget* makeTopBar();
  QWidget* makeMessageBar();
  QWidget* makeSide();
  void makeMenus(class QMenuBar* bar);
  void refresh(Changes what);
  void refreshFile();
  void enableActions();
  /// Why nothing can be taken to the bench now; empty when it can.
  QString whyNoWing() const;
  QString settingsFile() const { return stateFolder + "/settings.ini"; }
  void say(const QString& words, bool wrong = false);
  /// What cured is told in the window, on its icon, and by the desktop where it can.
  void sound(const QString& words);
  bool mayLeave();
  void takeTyped();
  bool save();
  bool saveAs();
  void chooseAndOpen();
  void chooseCoordinates(const QString& end);
  void chooseReference();
  void chooseWireFile();
  /// The cut of the core that is on the board.
  void showCut();
  void chooseSectionFile(const QString& end);
  void showExport();
  void showTables(Shelf shelf);
  /// Where the parts come to lie when the chosen wing is put together of them.
  void showTrial();
  void addRecent(const QString& path);
  void rebuildRecent();
  void rebuildFigureNames();
  void showHelp();

  QPointer<CutWindow> cutWindow; ///< while it is open
  QString stateFolder;
  std::optional<KeptState> recoverable; ///< what the message bar offers to take back
  Document theDocument;
  Standpoint theStandpoint{theDocument};
  std::unique_ptr<Asking> asking;
  Look look = lightLook();
  Autosave* theAutosave = nullptr;
  std::map<Stage, Board*> boards;
  SpaceBoard* spaceBoard = nullptr;
  Board* shownBoard();
  QStackedWidget* stack = nullptr;
  DecidePanel* decidePanel = nullptr;
  std::optional<Hand> writtenAlone; ///< the hand that was last exported without the other
  FollowsPanel* followsPanel = nullptr;
  PlanPanel* planPanel = nullptr;
  SpanRule* spanRule = nullptr;
  class LoadCurves* loadCurves = nullptr;
  class PieceTable* pieceTable = nullptr;
  BenchPanel* benchPanel = nullptr;
  class PlaceBar* placeBar = nullptr;
  QScrollArea* decideScroll = nullptr;
  QLabel *nameLabel = nullptr, *messageText = nullptr;
  QFrame* messageBar = nullptr;
  QToolButton *recoverButton = nullptr, *undoButton = nullptr, *redoButton = nullptr;
  std::map<ShownHand, QToolButton*> handButtons;
  QComboBox* unitBox = nullptr;
  QLineEdit* findBox = nullptr;
  QMenu* recentMenu = nullptr;
  QSystemTrayIcon* tray = nullptr; ///< once something was to be told there
  QAction *undoAction = nullptr, *redoAction = nullptr;
  std::map<QString, QAction*> actions; ///< by their names
};

} // namespace eup::app
