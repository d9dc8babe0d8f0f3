// The cut of a core watched before it burns, and burnt by a machine: its path played by a time rule, or sent line by
// line.
#pragma once
#include "app/devices/simulated_device.h"
#include "app/devices/wire_port.h"
#include "app/dialogs/cut_picture.h"
#include "app/state/asking.h"
#include "app/state/snapshot.h"
#include <QDialog>
#include <QElapsedTimer>

class QCheckBox;
class QComboBox;
class QLabel;
class QProgressBar;
class QPushButton;
class QSlider;
class QTimer;

namespace eup::app {

class CutWindow : public QDialog {
  Q_OBJECT
public:
  /// Of a snapshot whose wing is current; its panel is of foam and has such a core.
  CutWindow(Snapshot snapshot, PanelId panel, int core, Hand hand, const Look& look, Asking& asking,
            QWidget* parent = nullptr);
  ~CutWindow() override;
  /// A path from elsewhere in place of the core's own; says why where it is none.
  bool readPath(const QString& file);
  void takeOwnPath();
  /// Whether a machine is at work: nobody leaves then.
  bool busy() const { return port.busy(); }
  WirePort& machine() { return port; }
  CutPicture& shown() { return *picture; }

public Q_SLOTS:
  void reject() override;

private:
  QWidget* makePath();
  QWidget* makeMachine(const QColor& stopInk);
  QWidget* makeTime();
  void showPath(const std::string& text, const QString& name, const FoamCore* core);
  void toTime(double seconds);
  void play(bool on);
  void connectTo();
  void startSimulated();
  void begin();
  void heard(const WireStatus& status);
  void enable();
  QString wordsOf(const WireStatus& status) const;

  Snapshot kept;
  const TruePanel& panel;
  int coreNumber;
  Hand hand;
  Asking& asking;
  std::string text; ///< what is shown, and sent
  WireTravel travel;
  WireTravel trail; ///< of the machine, since it began
  WirePort port;
  QElapsedTimer clock;
  bool sending = false; ///< the picture follows the machine
  CutPicture* picture = nullptr;
  QLabel *pathSaid = nullptr, *machineSaid = nullptr, *timeSaid = nullptr;
  QComboBox *ports = nullptr, *pace = nullptr;
  QCheckBox* careful = nullptr;
  QProgressBar* progress = nullptr;
  QPushButton *own = nullptr, *joinButton = nullptr, *simulated = nullptr, *beginButton = nullptr,
              *holdButton = nullptr, *stopButton = nullptr, *zeroButton = nullptr, *playButton = nullptr;
  QSlider* rule = nullptr;
  QTimer* player = nullptr;
  SimulatedDevice simulator;
};

} // namespace eup::app
