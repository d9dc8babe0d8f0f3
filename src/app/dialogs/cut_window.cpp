#include "app/dialogs/cut_window.h"
#include "core/exchange/wire_code.h"
#include "core/files/text_file.h"
#include "core/takeaway/take_away.h"
#include <QSerialPortInfo>
#include <QtWidgets>

namespace eup::app {
namespace {

constexpr int steps = 10; // of the time rule, a second

QGroupBox* group(const QString& title, QWidget* parent) {
  auto* out = new QGroupBox(title, parent);
  out->setLayout(new QVBoxLayout);
  return out;
}

QLabel* label(const char* name, QWidget* in) {
  auto* out = new QLabel(in);
  out->setObjectName(name);
  out->setWordWrap(true);
  in->layout()->addWidget(out);
  return out;
}

} // namespace

CutWindow::CutWindow(Snapshot snapshot, PanelId id, int core, Hand h, const Look& look, Asking& ask, QWidget* parent)
    : QDialog(parent), kept(std::move(snapshot)),
      panel(kept.wing->of(h).wing(id.wing).panels[static_cast<std::size_t>(id.panel)]), coreNumber(core), hand(h),
      asking(ask) {
  setWindowTitle(tr("The cut: %1, core %2, %3 hand")
                     .arg(QString::fromStdString(panel.design.name))
                     .arg(core)
                     .arg(QString::fromLatin1(eup::name(hand))));
  resize(1080, 760);
  auto* across = new QHBoxLayout(this);
  auto* left = new QVBoxLayout;
  picture = new CutPicture(look, this);
  left->addWidget(picture, 1);
  left->addWidget(makeTime());
  auto* right = new QVBoxLayout;
  right->addWidget(makePath());
  right->addWidget(makeMachine(look.wrong), 1);
  across->addLayout(left, 1);
  across->addLayout(right);
  connect(&port, &WirePort::told, this, &CutWindow::heard);
  for (QPushButton* b : findChildren<QPushButton*>()) b->setAutoDefault(false); // nothing burns by the Enter key
  connect(ports->lineEdit(), &QLineEdit::returnPressed, this, &CutWindow::connectTo);
  clock.start();
  machineSaid->setText(wordsOf(port.status()));
  takeOwnPath();
  enable();
}

CutWindow::~CutWindow() = default;

QWidget* CutWindow::makePath() {
  auto* box = group(tr("Path"), this);
  box->setFixedWidth(330);
  pathSaid = label("pathSaid", box);
  auto* line = new QHBoxLayout;
  auto* read = new QPushButton(tr("Read one…"), box);
  read->setObjectName("readPath");
  connect(read, &QPushButton::clicked, this, [this] {
    const QString file =
        asking.fileToOpen(this, tr("Read a machine's path"), {}, tr("Machine's path (*.nc);;All files (*)"));
    if (!file.isEmpty()) readPath(file);
  });
  own = new QPushButton(tr("The core's own"), box);
  own->setObjectName("ownPath");
  connect(own, &QPushButton::clicked, this, &CutWindow::takeOwnPath);
  line->addWidget(read), line->addWidget(own), line->addStretch();
  static_cast<QVBoxLayout*>(box->layout())->addLayout(line);
  return box;
}

QWidget* CutWindow::makeMachine(const QColor& stopInk) {
  auto* box = group(tr("Machine"), this);
  box->setFixedWidth(330);
  auto* column = static_cast<QVBoxLayout*>(box->layout());
  const auto button = [&](const QString& words, const char* name, auto what) {
    auto* b = new QPushButton(words, box);
    b->setObjectName(name);
    connect(b, &QPushButton::clicked, this, what);
    return b;
  };
  auto* where = new QLabel(tr("&Port"), box);
  ports = new QComboBox(box);
  ports->setObjectName("port");
  ports->setEditable(true);
  for (const QSerialPortInfo& info : QSerialPortInfo::availablePorts()) ports->addItem(info.systemLocation());
  where->setBuddy(ports);
  auto* first = new QHBoxLayout;
  joinButton = button(tr("Connect"), "connect", [this] { connectTo(); });
  first->addWidget(where), first->addWidget(ports, 1), first->addWidget(joinButton);
  column->addLayout(first);
  simulated = button(tr("Start a simulated one"), "simulated", [this] { startSimulated(); });
  connect(&simulator, &SimulatedDevice::ready, this, [this](const QString& name) {
    ports->setEditText(name);
    port.open(name);
  });
  connect(&simulator, &SimulatedDevice::ended, this, [this] {
    machineSaid->setText(tr("The simulated machine has ended."));
    enable();
  });
  simulated->setToolTip(tr("A stand-in for a machine, to try everything without a wire"));
  column->addWidget(simulated, 0, Qt::AlignLeft);
  machineSaid = label("machineSaid", box);
  machineSaid->setMinimumHeight(90);
  machineSaid->setAlignment(Qt::AlignTop | Qt::AlignLeft);
  machineSaid->setTextFormat(Qt::PlainText);
  zeroButton = button(tr("It stands at zero now"), "atZero", [this] { port.zero(); });
  zeroButton->setToolTip(
      tr("Every path begins at the machine's zero: free the wire, bring it there by hand, then say so"));
  column->addWidget(zeroButton, 0, Qt::AlignLeft);
  progress = new QProgressBar(box);
  progress->setObjectName("cutProgress");
  column->addWidget(progress);
  column->addStretch();
  QLabel* cautions = label("cautions", box);
  cautions->setText(
      tr("Before it burns: an isolated low-voltage supply of direct current, never bare mains; fumes "
         "led out of doors; nothing that burns near the wire; hands and hair away from wire and axes; "
         "the block weighted down; something to put a fire out within reach. A machine's own stop must be "
         "within reach too: this window is no substitute. Where you are, other rules may hold."));
  careful = new QCheckBox(tr("All this is so, and I stay with it"), box);
  careful->setObjectName("careful");
  connect(careful, &QCheckBox::toggled, this, [this] { enable(); });
  column->addWidget(careful);
  auto* last = new QHBoxLayout;
  beginButton = button(tr("Cut"), "beginCut", [this] { begin(); });
  holdButton = button(tr("Hold"), "holdCut", [this] {
    if (port.status().state == WireState::held)
      port.resume();
    else if (port.status().state == WireState::alarm)
      port.clear();
    else
      port.hold();
  });
  stopButton = button(tr("Stop"), "stopCut", [this] { port.stop(); });
  stopButton->setStyleSheet(QString("color: %1; font-weight: bold;").arg(stopInk.name()));
  stopButton->setShortcut(Qt::Key_F12);
  stopButton->setToolTip(tr("Still and cold at once (F12)"));
  last->addWidget(beginButton), last->addWidget(holdButton), last->addWidget(stopButton);
  column->addLayout(last);
  return box;
}

QWidget* CutWindow::makeTime() {
  auto* box = new QWidget(this);
  auto* line = new QHBoxLayout(box);
  line->setContentsMargins(0, 0, 0, 0);
  playButton = new QPushButton(tr("Play"), box);
  playButton->setObjectName("play");
  playButton->setCheckable(true);
  connect(playButton, &QPushButton::toggled, this, &CutWindow::play);
  pace = new QComboBox(box);
  pace->setObjectName("pace");
  for (const int times : {1, 5, 20}) pace->addItem(tr("%1 ×").arg(times), times);
  pace->setCurrentIndex(1);
  rule = new QSlider(Qt::Horizontal, box);
  rule->setObjectName("timeRule");
  rule->setAccessibleName(tr("Seconds since the beginning of the path"));
  rule->setPageStep(50);
  connect(rule, &QSlider::valueChanged, this, [this](int value) { toTime(static_cast<double>(value) / steps); });
  timeSaid = new QLabel(box);
  timeSaid->setObjectName("timeSaid");
  timeSaid->setMinimumWidth(110);
  line->addWidget(playButton), line->addWidget(pace), line->addWidget(rule, 1), line->addWidget(timeSaid);
  player = new QTimer(this);
  connect(player, &QTimer::timeout, this, [this] {
    const int next = rule->value() + std::max(1, pace->currentData().toInt() * steps / 25);
    rule->setValue(next);
    if (next >= rule->maximum()) playButton->setChecked(false);
  });
  return box;
}

void CutWindow::takeOwnPath() {
  const FoamCore& core = panel.foam->cores[static_cast<std::size_t>(coreNumber) - 1];
  const auto code = wireCodeOf(panel, coreNumber, hand);
  if (!code) {
    text.clear(), travel.clear();
    pathSaid->setText(tr("The machine cannot cut this core: %1.").arg(QString::fromStdString(code.problem().text())));
    picture->show({&core, panel.design.wire, hand, {}});
    rule->setRange(0, 0);
    return enable();
  }
  showPath(code.value(), tr("This core's own"), &core);
}

bool CutWindow::readPath(const QString& file) {
  const auto read = readTextFile(file.toStdString());
  const auto code = read ? readWireCode(read.value(), panel.design.wire.axes, reachOf(panel.design.wire))
                         : Result<ReadCode>(read.problem());
  const QString name = QFileInfo(file).fileName();
  if (!code) {
    pathSaid->setText(tr("%1 is not shown. %2").arg(name, QString::fromStdString(code.problem().text())));
    return false;
  }
  showPath(read.value(), name, nullptr);
  return true;
}

void CutWindow::showPath(const std::string& lines, const QString& name, const FoamCore* core) {
  std::string sent; // its lines are counted as the machine counts them
  for (const std::string& line : wireLines(lines)) sent += line + "\n";
  const auto read = readWireCode(sent, panel.design.wire.axes, reachOf(panel.design.wire));
  if (!read) {
    pathSaid->setText(QString::fromStdString(read.problem().text()));
    return;
  }
  text = sent;
  careful->setChecked(false); // what was confirmed was confirmed of another path
  travel = travelOf(read.value());
  sending = false;
  playButton->setChecked(false);
  picture->show({core, panel.design.wire, hand, travel});
  pathSaid->setText(tr("%1: %2 lines, %3 s with a hot wire, %4 s of waiting. Inner tower to %5 aft and %6 up, outer "
                       "tower to %7 and %8.")
                        .arg(name)
                        .arg(wireLines(text).size())
                        .arg(read.value().hotSeconds, 0, 'f', 0)
                        .arg(read.value().dwells, 0, 'f', 0)
                        .arg(read.value().inner.high.x(), 0, 'f', 0)
                        .arg(read.value().inner.high.y(), 0, 'f', 0)
                        .arg(read.value().outer.high.x(), 0, 'f', 0)
                        .arg(read.value().outer.high.y(), 0, 'f', 0));
  rule->setRange(0, travel.empty() ? 0 : static_cast<int>(std::ceil(travel.back().seconds * steps)));
  rule->setValue(0);
  toTime(0);
  enable();
}

void CutWindow::toTime(double seconds) {
  if (busy()) return;
  sending = false;
  picture->showUntil(seconds);
  timeSaid->setText(
      tr("%1 of %2 s").arg(seconds, 0, 'f', 0).arg(travel.empty() ? 0 : travel.back().seconds, 0, 'f', 0));
}

void CutWindow::play(bool on) {
  playButton->setText(on ? tr("Pause") : tr("Play"));
  if (!on) return player->stop();
  sending = false;
  if (rule->value() >= rule->maximum()) rule->setValue(0);
  player->start(40);
}

void CutWindow::connectTo() {
  const WireState s = port.status().state;
  if (s != WireState::off && s != WireState::lost)
    port.close();
  else if (const QString name = ports->currentText().trimmed(); !name.isEmpty())
    port.open(name);
}

void CutWindow::startSimulated() {
  simulator.start("euptera-hot-wire", {"--axes", QString::fromStdString(panel.design.wire.axes)});
  enable();
}

void CutWindow::begin() {
  if (text.empty() || !careful->isChecked()) return;
  const WireStatus& s = port.status();
  if (s.axes != panel.design.wire.axes) {
    machineSaid->setText(tr("The machine names its axes %1, the path %2: decide the axes' letters alike.")
                             .arg(QString::fromStdString(s.axes), QString::fromStdString(panel.design.wire.axes)));
    return;
  }
  if (!s.atZero()) {
    machineSaid->setText(
        tr("The wire does not stand at the machine's zero, and would be dragged there through whatever is "
           "in its way. Free it, bring it there by hand, then say so. Nothing has moved."));
    return;
  }
  const auto read = readWireCode(text, panel.design.wire.axes, reachOf(panel.design.wire));
  if (!read) return;
  const std::array<double, 4> far = {read.value().inner.high.x(), read.value().inner.high.y(),
                                     read.value().outer.high.x(), read.value().outer.high.y()};
  const std::array<double, 4> low = {read.value().inner.low.x(), read.value().inner.low.y(), read.value().outer.low.x(),
                                     read.value().outer.low.y()};
  for (std::size_t i = 0; i < 4; ++i)
    if (far[i] > s.travel[i] || low[i] < 0) {
      machineSaid->setText(tr("The path goes from %1 to %2 mm along %3; this machine travels from 0 to %4. Nothing has "
                              "moved.")
                               .arg(low[i], 0, 'f', 1)
                               .arg(far[i], 0, 'f', 1)
                               .arg(QChar(s.axes[i]))
                               .arg(s.travel[i], 0, 'f', 1));
      return;
    }
  playButton->setChecked(false);
  sending = true;
  trail = {{static_cast<double>(clock.elapsed()) / 1000, s.at, 0, 0}};
  careful->setChecked(false); // asked again for the next cut
  port.begin(text);
}

QString CutWindow::wordsOf(const WireStatus& s) const {
  const auto name = [&]() -> QString {
    switch (s.state) {
    case WireState::off:
      return tr("Not connected.");
    case WireState::greeting:
      return tr("Asking who is there…");
    case WireState::ready:
      return tr("Ready.");
    case WireState::working:
      return tr("At work.");
    case WireState::held:
      return tr("Held: still, its wire cold.");
    case WireState::warming:
      return tr("Heating up to go on…");
    case WireState::done:
      return tr("Done, its wire cold.");
    case WireState::stopped:
      return tr("Stopped, its wire cold. A cut cannot be taken up again in its middle: free the wire, and bring it to "
                "zero by "
                "hand.");
    case WireState::refused:
      return tr("It refused a line and was stopped: %1.").arg(QString::fromStdString(s.said));
    case WireState::alarm:
      return tr("ALARM: %1. Its wire is cold. Look why, set it to zero by hand, then clear the alarm.")
          .arg(QString::fromStdString(s.said));
    case WireState::lost:
      return tr("Lost: %1. Switch the wire off by hand and look. A machine that hears nothing should go cold by "
                "itself; "
                "do not count on it.")
          .arg(QString::fromStdString(s.said));
    }
    return {};
  }();
  if (s.state == WireState::off || s.state == WireState::greeting || s.state == WireState::lost) return name;
  QString out = name + "\n" +
                tr("inner %1 aft %2 up, outer %3 aft %4 up; heat %5 %")
                    .arg(s.at.inner.x(), 0, 'f', 1)
                    .arg(s.at.inner.y(), 0, 'f', 1)
                    .arg(s.at.outer.x(), 0, 'f', 1)
                    .arg(s.at.outer.y(), 0, 'f', 1)
                    .arg(s.heat, 0, 'f', 0);
  if (s.resent + s.garbled > 0)
    out += "\n" +
           tr("noise on the line: %1 lines were sent again, %2 answers could not be read").arg(s.resent).arg(s.garbled);
  return out;
}

void CutWindow::heard(const WireStatus& s) {
  machineSaid->setText(wordsOf(s));
  progress->setRange(0, std::max(s.lines, 1));
  progress->setValue(s.done);
  if (sending) {
    const double now = static_cast<double>(clock.elapsed()) / 1000;
    constexpr double step = 0.5; // mm: what lies nearer together is one
    const auto near = [&](const WireInstant& i) {
      return (i.at.inner - s.at.inner).norm() < step && (i.at.outer - s.at.outer).norm() < step;
    };
    if (trail.size() > 1 && near(trail[trail.size() - 2])) trail.pop_back();
    if (now > trail.back().seconds) trail.push_back({now, s.at, s.heat, s.done});
    picture->showTravelled(trail);
    const auto next = std::find_if(travel.begin(), travel.end(), [&](const WireInstant& i) { return i.line > s.done; });
    const double toGo = travel.back().seconds - (next == travel.begin() ? 0 : (next - 1)->seconds);
    timeSaid->setText(
        tr("%1 s gone, about %2 s to go").arg(now - trail.front().seconds, 0, 'f', 0).arg(toGo, 0, 'f', 0));
  }
  enable();
}

void CutWindow::enable() {
  const WireState s = port.status().state;
  const bool there = s != WireState::off && s != WireState::lost && s != WireState::greeting, works = busy();
  const bool rests = there && !works && s != WireState::alarm;
  joinButton->setText(s == WireState::off || s == WireState::lost ? tr("Connect") : tr("Leave"));
  joinButton->setEnabled(!works);
  simulated->setEnabled(!simulator.runs() && !works);
  own->setEnabled(!works);
  playButton->setEnabled(!works && !travel.empty());
  rule->setEnabled(!works && !travel.empty());
  zeroButton->setEnabled(rests && !port.status().atZero());
  beginButton->setEnabled(rests && !text.empty() && careful->isChecked());
  holdButton->setEnabled(works || s == WireState::alarm);
  holdButton->setText(s == WireState::held ? tr("Go on") : s == WireState::alarm ? tr("Clear the alarm") : tr("Hold"));
  stopButton->setEnabled(there);
}

void CutWindow::reject() {
  if (busy()) {
    machineSaid->setText(tr("The machine is at work: stop it before this window is closed."));
    return;
  }
  QDialog::reject();
}

} // namespace eup::app
