#include "app/bench/bench_readings.h"
#include "app/look/words.h"
#include "app/state/watch.h"
#include "core/bench/recording.h"
#include "core/measure/length_text.h"
#include "core/wing/as_read.h"
#include <algorithm>
#include <QtWidgets>

namespace eup::app {
namespace {

bool isLength(ReadKind kind) {
  return kind != ReadKind::mass && kind != ReadKind::incidence;
}

/// In the document's unit; degrees and grams as they are.
QString shownValue(ReadKind kind, double v, LengthUnit unit) {
  if (isLength(kind)) return inWords(told(v, Quantity::length, unit));
  return QString("%1 %2").arg(inWords(formatNumber(v, 2)), inWords(unitOf(kind)));
}

/// What a builder measures, and how.
QString howTo(ReadKind kind) {
  switch (kind) {
  case ReadKind::incidence:
    return BenchReadings::tr(
        "Degrees of the chord line, nose up, by a gauge or from two heights. The root rib too: the "
        "gauge's own zero falls out.");
  case ReadKind::rise:
    return BenchReadings::tr("Height of the nose over that of the root rib, both halves propped alike.");
  case ReadKind::straightedge:
    return BenchReadings::tr("How far the rib stands over (+) or under (−) a straightedge along its neighbours.");
  case ReadKind::bow:
    return BenchReadings::tr("How far the trailing edge lies aft (+) or forward (−) of a string from root to tip.");
  case ReadKind::notch:
    return BenchReadings::tr("Depth of the first spar's notch on top, from the cut edge.");
  case ReadKind::mass:
    return BenchReadings::tr("Grams of that hand's half.");
  case ReadKind::balance:
    return BenchReadings::tr("Where the whole model hangs level: behind the main wing's leading edge at its root.");
  }
  return {};
}

} // namespace

BenchReadings::BenchReadings(Document& d, Standpoint& s, QWidget* parent)
    : QWidget(parent), document(d), standpoint(s) {
  auto* column = new QVBoxLayout(this);
  column->setContentsMargins(0, 4, 0, 0);
  column->setSpacing(4);
  auto* row = new QHBoxLayout;
  column->addLayout(row);
  kinds = new QComboBox(this);
  kinds->setObjectName("readKind");
  kinds->setAccessibleName(tr("What is read"));
  for (const Choice& c : readKindChoices) kinds->addItem(inWords(std::string(c.label)));
  row->addWidget(kinds);
  hands = new QComboBox(this);
  hands->setObjectName("readHand");
  hands->setAccessibleName(tr("Of which hand"));
  hands->addItems({tr("right"), tr("left")});
  row->addWidget(hands);
  place = new QLabel(this);
  place->setObjectName("readPlace");
  row->addWidget(place);
  const auto field = [&](QLineEdit*& to, const char* name, const QString& hint, const QString& spoken, int wide) {
    to = new QLineEdit(this);
    to->setObjectName(name);
    to->setPlaceholderText(hint);
    to->setAccessibleName(spoken);
    to->setFixedWidth(wide);
    row->addWidget(to);
  };
  field(value, "readValue", tr("read"), tr("What was read"), 80);
  field(doubt, "readDoubt", tr("± usual"), tr("Its doubt, one standard deviation; empty for the usual one"), 66);
  field(by, "readBy", tr("by what"), tr("Read with"), 96);
  field(note, "readNote", tr("note"), tr("A note"), 110);
  takeButton = new QPushButton(tr("Record"), this);
  takeButton->setObjectName("readTake");
  takeButton->setToolTip(tr("Enter in the field does the same. Empty, what the instrument reads is taken"));
  row->addWidget(takeButton);
  row->addStretch();
  column->addWidget(makeInstrumentRow());
  list = new QTreeWidget(this);
  list->setObjectName("readings");
  list->setAccessibleName(tr("Readings, the newest first"));
  list->setRootIsDecorated(false);
  list->setUniformRowHeights(true);
  list->setHeaderLabels({tr("What"), tr("Where"), tr("Hand"), tr("Read"), tr("±"), tr("By"), tr("When"), tr("Note")});
  list->header()->setStretchLastSection(true);
  for (const auto& [c, wide] : {std::pair(what, 178), std::pair(where, 96), std::pair(hand_, 46), std::pair(read, 84),
                                std::pair(doubt_, 60), std::pair(by_, 96), std::pair(at, 94)})
    list->setColumnWidth(c, wide);
  column->addWidget(list, 1);
  auto* foot = new QHBoxLayout;
  column->addLayout(foot);
  says = new QLabel(this);
  says->setObjectName("readSays");
  says->setWordWrap(true);
  foot->addWidget(says, 1);
  removeButton = new QPushButton(tr("Take it out"), this);
  removeButton->setObjectName("readRemove");
  removeButton->setToolTip(tr("A reading that was wrong; the log keeps that it was there"));
  foot->addWidget(removeButton);
  connect(takeButton, &QPushButton::clicked, this, &BenchReadings::take);
  for (QLineEdit* one : {value, doubt, by, note}) connect(one, &QLineEdit::returnPressed, this, &BenchReadings::take);
  connect(removeButton, &QPushButton::clicked, this, &BenchReadings::remove);
  connect(kinds, &QComboBox::activated, this, [this] { refresh(); });
  connect(hands, &QComboBox::activated, this,
          [this] { standpoint.setHand(hand() == Hand::left ? ShownHand::left : ShownHand::right); });
  connect(list, &QTreeWidget::currentItemChanged, this,
          [this](const QTreeWidgetItem* now) { removeButton->setEnabled(now != nullptr); });
  connect(&port, &InstrumentPort::told, this, &BenchReadings::showInstrument);
  connect(&simulator, &SimulatedDevice::ready, this, [this](const QString& name) {
    ports->setEditText(name);
    port.open(name);
  });
  connect(&simulator, &SimulatedDevice::ended, this,
          [this] { says->setText(tr("The simulated instrument has ended, or is not there.")); });
  new Watch(this, document, standpoint, [this](Changes changes) {
    if (changes & (Aspect::design | Aspect::wing | Aspect::stage | Aspect::place | Aspect::view)) refresh();
  });
  showInstrument();
}

QWidget* BenchReadings::makeInstrumentRow() {
  auto* box = new QWidget(this);
  auto* rows = new QVBoxLayout(box);
  rows->setContentsMargins(0, 0, 0, 0);
  rows->setSpacing(2);
  auto* row = new QHBoxLayout;
  rows->addLayout(row);
  row->addWidget(new QLabel(tr("Instrument"), box));
  ports = new QComboBox(box);
  ports->setObjectName("readPort");
  ports->setAccessibleName(tr("Port of the gauge or the scales"));
  ports->setEditable(true);
  ports->setMinimumWidth(130);
  for (const char* name : {"/dev/ttyUSB0", "/dev/ttyACM0"}) ports->addItem(name);
  ports->setEditText({});
  ports->lineEdit()->setPlaceholderText(tr("port"));
  row->addWidget(ports);
  const auto button = [&](const QString& text, const char* name, const QString& tip, auto run) {
    auto* one = new QPushButton(text, box);
    one->setObjectName(name);
    one->setToolTip(tip);
    connect(one, &QPushButton::clicked, this, run);
    row->addWidget(one);
    return one;
  };
  connectButton = button(tr("Connect"), "readConnect", tr("Listen to the port"), [this] { connectTo(); });
  button(tr("Try a gauge"), "simulatedGauge", tr("A simulated incidence gauge, to try everything without one"),
         [this] { startSimulated("euptera-gauge"); });
  button(tr("Try scales"), "simulatedScales", tr("Simulated scales, to try everything without any"),
         [this] { startSimulated("euptera-scales"); });
  live = new QLabel(box);
  live->setObjectName("readLive");
  rows->addWidget(live);
  row->addStretch();
  holdButton = button(tr("Hold"), "readHold", tr("The mean stays as it is"),
                      [this] { port.instrument().hold(!port.status().held), showInstrument(); });
  holdButton->setCheckable(true);
  zeroButton = button(tr("Zero"), "readZero", tr("What it reads now is nought"),
                      [this] { port.instrument().zeroHere(), showInstrument(); });
  turnButton =
      button(tr("Turn round"), "readTurn",
             tr("Press it as the gauge lies, turn the gauge round on the same place, press it again: half the "
                "sum is its error, and is taken off"),
             [this] {
               if (const auto error = port.instrument().turnedRound())
                 says->setText(tr("It reads %1° too much; that is taken off from now on.").arg(*error, 0, 'f', 2));
               else if (port.instrument().turning())
                 says->setText(tr("Now turn it round on the same place, wait until it is still, and press again."));
               showInstrument();
             });
  return box;
}

ReadKind BenchReadings::kind() const {
  return static_cast<ReadKind>(kinds->currentIndex());
}

Hand BenchReadings::hand() const {
  return hands->currentIndex() == 1 ? Hand::left : Hand::right;
}

void BenchReadings::connectTo() {
  if (port.isOpen())
    port.close();
  else if (const QString name = ports->currentText().trimmed(); !name.isEmpty())
    port.open(name);
}

void BenchReadings::startSimulated(const QString& program) {
  port.close();
  simulator.start(program, program.endsWith("gauge")
                               ? QStringList{"--value", "-1.2", "--noise", "0.04", "--offset", "0.3"}
                               : QStringList{"--value", "64.3", "--noise", "0.03"});
}

void BenchReadings::showInstrument() {
  const InstrumentStatus& s = port.status();
  connectButton->setText(port.isOpen() ? tr("Disconnect") : tr("Connect"));
  holdButton->setChecked(s.held);
  for (QPushButton* b : {holdButton, zeroButton}) b->setEnabled(s.mean.has_value());
  zeroButton->setEnabled(s.mean && !s.held);
  turnButton->setEnabled(s.mean && !s.held && s.kind == "gauge");
  QString text;
  switch (s.state) {
  case InstrumentState::off:
    text = tr("none; readings are typed");
    break;
  case InstrumentState::asked:
    text = tr("asks who is there");
    break;
  case InstrumentState::silent:
    text = s.mean && s.held ? tr("silent; held %1").arg(*s.mean, 0, 'f', 2) : tr("silent: is it switched on?");
    break;
  case InstrumentState::foreign:
    text = tr("what comes is no instrument's talk: another port, another speed?");
    break;
  case InstrumentState::lost:
    text = inWords(s.said);
    break;
  case InstrumentState::reading: {
    const QString unit = s.unit == "deg" ? QString("°") : inWords(" " + s.unit);
    text = s.mean ? tr("%1: %2%3 ± %4, mean of %5%6")
                        .arg(inWords(s.kind))
                        .arg(*s.mean, 0, 'f', 2)
                        .arg(unit)
                        .arg(s.scatter, 0, 'f', 2)
                        .arg(s.averaged)
                        .arg(s.held ? tr(", held") : QString())
                  : tr("%1: %2%3, moving").arg(inWords(s.kind)).arg(s.last.value_or(0), 0, 'f', 2).arg(unit);
    if (s.missed + s.garbled > 0) text += tr(" · %1 lines lost").arg(s.missed + s.garbled);
    break;
  }
  }
  live->setText(text);
  live->setToolTip(text);
}

void BenchReadings::take() {
  BenchReading r;
  r.kind = kind(), r.hand = hand();
  if (isOfRib(r.kind) && !document.hasWing()) return says->setText(tr("There is no wing to read."));
  const PanelId here = standpoint.panel();
  r.wing = document.design().wings[static_cast<std::size_t>(here.wing)].number;
  r.panel = isOfRib(r.kind) ? document.design().at(here).number : 0;
  if (isOfRib(r.kind)) r.rib = standpoint.shownRib().number;
  const bool mirrored_ = mirrored(document.design().wings[static_cast<std::size_t>(here.wing)]);
  if (!mirrored_) r.hand = Hand::right;
  const LengthUnit unit = document.design().unit;
  const auto number = [&](const QString& text, double& to) -> bool {
    const QString trimmed = text.trimmed();
    if (isLength(r.kind)) {
      const auto length = parseLength(trimmed.toStdString(), unit);
      if (!length) return says->setText(inWords(length.problem().cause)), false;
      to = length.value();
      return true;
    }
    bool fine = false;
    QString plain = trimmed;
    to = plain.remove("°").remove("g").replace(',', '.').replace("−", "-").trimmed().toDouble(&fine);
    if (!fine || !std::isfinite(to)) return says->setText(tr("“%1” is no number.").arg(trimmed)), false;
    return true;
  };
  r.by = by->text().trimmed().toStdString();
  if (value->text().trimmed().isEmpty()) {
    const InstrumentStatus& s = port.status();
    const bool fits =
        s.mean && ((r.kind == ReadKind::incidence && s.unit == "deg") || (r.kind == ReadKind::mass && s.unit == "g"));
    if (!fits)
      return says->setText(s.mean ? tr("This instrument does not read that: type it, or choose what it reads.")
                                  : tr("Type what was read; or connect an instrument and let it lie still."));
    r.value = *s.mean;
    r.doubt = doubtOfMean(r.kind, s.scatter);
    if (r.by.empty()) r.by = s.kind;
  } else if (!number(value->text(), r.value)) {
    return;
  }
  if (!doubt->text().trimmed().isEmpty()) {
    if (!number(doubt->text(), r.doubt)) return;
    if (r.doubt < 0) return says->setText(tr("A doubt is never negative."));
  }
  r.note = note->text().trimmed().toStdString();
  r.at = textOf(document.clock());
  if (static_cast<int>(document.design().records.readings.size()) >= mostBenchReadings)
    return says->setText(tr("There is no room for more readings in this file."));
  const QString line =
      tr("%1, %2%3 hand: %4")
          .arg(inWords(std::string(readKindChoices[static_cast<std::size_t>(r.kind)].label)),
               r.rib > 0 ? tr("R%1, ").arg(r.rib) : QString(), tr(name(r.hand)), shownValue(r.kind, r.value, unit));
  if (!document.record([&](Records& records) {
        records.readings.push_back(r);
        addToLog(records, document.clock(), LogKind::read, line.toStdString());
      }))
    return;
  value->clear(), note->clear(), doubt->clear();
  says->setText(tr("Recorded: %1. %2").arg(line, howTo(r.kind)));
  value->setFocus();
}

void BenchReadings::remove() {
  const QTreeWidgetItem* item = list->currentItem();
  if (!item) return;
  const auto index = static_cast<std::size_t>(item->data(what, Qt::UserRole).toInt());
  const QString line =
      tr("Taken out: %1, %2 %3, %4").arg(item->text(what), item->text(where), item->text(hand_), item->text(read));
  document.record([&](Records& records) {
    if (index >= records.readings.size()) return;
    records.readings.erase(records.readings.begin() + static_cast<std::ptrdiff_t>(index));
    addToLog(records, document.clock(), LogKind::read, line.toStdString());
  });
}

void BenchReadings::refresh() {
  if (standpoint.hand() != ShownHand::both) hands->setCurrentIndex(standpoint.hand() == ShownHand::left ? 1 : 0);
  const bool wing = document.hasWing();
  const PanelId here = standpoint.panel();
  place->setText(!isOfRib(kind()) ? tr("of the half")
                 : wing           ? tr("at R%1").arg(standpoint.shownRib().number)
                                  : tr("nowhere yet"));
  hands->setEnabled(mirrored(document.design().wings[static_cast<std::size_t>(here.wing)]));
  value->setPlaceholderText(kind() == ReadKind::incidence ? "°" : kind() == ReadKind::mass ? tr("g") : tr("length"));
  if (says->text().isEmpty() || !says->text().startsWith(tr("Recorded"))) says->setText(howTo(kind()));
  list->clear();
  const auto& all = document.design().records.readings;
  const LengthUnit unit = document.design().unit;
  for (std::size_t i = all.size(); i-- > 0;) {
    const BenchReading& r = all[i];
    auto* item = new QTreeWidgetItem(list);
    item->setText(what, inWords(std::string(readKindChoices[static_cast<std::size_t>(r.kind)].label)));
    item->setText(where, wing ? inWords(placeRead(document.wing(), r)) : tr("R%1").arg(r.rib));
    item->setText(hand_, tr(name(r.hand)));
    item->setText(read, shownValue(r.kind, r.value, unit));
    item->setText(doubt_, shownValue(r.kind, r.doubt > 0 ? r.doubt : usualDoubt(r.kind), unit));
    item->setText(by_, inWords(r.by));
    item->setText(at, shortly(inWords(r.at)));
    item->setToolTip(at, inWords(r.at));
    item->setText(note_, inWords(r.note));
    item->setData(what, Qt::UserRole, static_cast<int>(i));
  }
  removeButton->setEnabled(list->currentItem() != nullptr);
}

QString BenchReadings::untaken() const {
  return value->text().trimmed().isEmpty() ? note->text().trimmed() : value->text().trimmed();
}

} // namespace eup::app
