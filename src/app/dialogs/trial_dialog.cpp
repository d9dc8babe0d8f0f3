#include "app/dialogs/trial_dialog.h"
#include "core/measure/figure.h"
#include "core/measure/length_text.h"
#include <QPainter>
#include <QtWidgets>

namespace eup::app {
namespace {

/// What rounds to nothing has no sign.
QString degrees(double rad) {
  const double deg = radToDeg(rad);
  return QString::number(std::abs(deg) < 0.005 ? 0.0 : deg, 'f', 2) + "°";
}

} // namespace

TrialPicture::TrialPicture(const WholeWing& w, const Look& l, QWidget* parent) : QWidget(parent), wing(w), look(l) {
  setObjectName("trialPicture");
  setMinimumHeight(300);
}

void TrialPicture::show(Assembly put, int rib) {
  assembly = std::move(put);
  chosen = rib;
  QStringList wrong;
  for (const AssembledPanel& p : assembly.panels)
    for (const AssembledRib& r : p.ribs)
      if (r.off > trialSeen || std::abs(r.turned) > degToRad(trialSeenDeg)) wrong << tr("R%1").arg(r.rib);
  setAccessibleName(wrong.isEmpty() ? tr("The half wing from above: every rib lies where it should")
                                    : tr("The half wing from above; ribs that lie off: %1").arg(wrong.join(", ")));
  update();
}

void TrialPicture::paintEvent(QPaintEvent*) {
  QPainter painter(this);
  painter.setRenderHint(QPainter::Antialiasing);
  painter.fillRect(rect(), look.paper);
  double span = 0, front = 1e9, back = -1e9;
  for (const TruePanel& p : wing.panels) {
    span = p.design.inboard + p.shape.loft.span();
    for (const Rib& r : p.frame.ribs)
      front = std::min(front, p.design.setback + r.frame.le.x()),
      back = std::max(back, p.design.setback + r.inPanel({r.frame.chord, 0}).x());
  }
  constexpr double margin = 34, lettering = 44; // pixels
  const double scale = std::min((width() - 2 * margin) / span, (height() - margin - lettering - 8) / (back - front));
  const auto at = [&](double x, double y) { return QPointF(margin + y * scale, margin + (x - front) * scale); };
  QFont small = font();
  small.setPixelSize(11);
  painter.setFont(small);
  double lastWords = -1e9;
  for (std::size_t k = 0; k < wing.panels.size() && k < assembly.panels.size(); ++k) {
    const TruePanel& p = wing.panels[k];
    const double s = p.design.setback, y0 = p.design.inboard, y1 = y0 + p.shape.loft.span();
    const ChordFrame root = p.shape.loft.frameAt(0), tip = p.shape.loft.frameAt(p.shape.loft.span());
    QPolygonF outline{at(s + root.le.x(), y0), at(s + tip.le.x(), y1), at(s + tip.te.x(), y1), at(s + root.te.x(), y0)};
    painter.setPen(QPen(look.faint, 1));
    painter.setBrush(look.balsa.lighter(look.dark ? 60 : 112));
    painter.drawPolygon(outline);
    for (std::size_t i = 0; i < p.frame.ribs.size() && i < assembly.panels[k].ribs.size(); ++i) {
      const Rib& rib = p.frame.ribs[i];
      const AssembledRib& r = assembly.panels[k].ribs[i];
      const bool off = r.off > trialSeen || std::abs(r.turned) > degToRad(trialSeenDeg);
      const Point3 nose = rib.inPanel({0, 0}), tail = rib.inPanel({rib.frame.chord, 0});
      painter.setPen(QPen(off               ? look.wrong
                          : r.rib == chosen ? look.accent
                                            : look.ink,
                          off || r.rib == chosen ? 3 : 1.2));
      const QPointF from = at(s + nose.x(), y0 + nose.y()), to = at(s + tail.x(), y0 + tail.y());
      painter.drawLine(from, to);
      // What is wrong is lettered, as far as there is room; and the chosen rib.
      if (!off && r.rib != chosen) continue;
      const QString much =
          QString::fromStdString(told(r.off < 0.005 ? 0 : r.off, Quantity::length, wing.panels.front().design.unit));
      const QString words = tr("R%1\n%2\n%3").arg(r.rib).arg(much, degrees(r.turned));
      const QRectF box(to.x() - 34, at(back, 0).y() + 4, 68, lettering);
      if (r.rib != chosen && box.left() < lastWords) continue;
      lastWords = box.right();
      painter.setPen(off ? look.wrong : look.ink);
      painter.drawText(box, Qt::AlignHCenter | Qt::AlignTop, words);
    }
  }
  if (assembly.panels.empty()) return;
  const double tipOff = assembly.tipOff;
  const TruePanel& last = wing.panels.back();
  const ChordFrame tip = last.shape.loft.frameAt(last.shape.loft.span());
  painter.setPen(QPen(tipOff > trialSeen ? look.wrong : look.good, 2));
  painter.setBrush(Qt::NoBrush);
  painter.drawEllipse(at(last.design.setback + tip.le.x(), span), 5, 5);
}

TrialDialog::TrialDialog(Snapshot snapshot, int number, const Look& look, QWidget* parent, Hand hand)
    : QDialog(parent), kept(std::move(snapshot)), wing(kept.wing->of(hand).wing(number)) {
  const bool ofLeft = &kept.wing->of(hand) != kept.wing.get(); // shown as a right one is
  setWindowTitle(ofLeft ? tr("Put together on trial: the left hand, turned over") : tr("Put together on trial"));
  resize(980, 720);
  auto* column = new QVBoxLayout(this);
  auto* words =
      new QLabel(tr("The flat ribs are slid on to their straight spars and let down on to the packing, panels are "
                    "joined by their braces or sawn ends: where does each come to lie? Put an error in and see "
                    "what it does to the finished wing. Nothing here changes the design."),
                 this);
  words->setWordWrap(true);
  column->addWidget(words);
  picture = new TrialPicture(wing, look, this);
  column->addWidget(picture, 2);
  sum = new QLabel(this);
  sum->setObjectName("trialSum");
  sum->setWordWrap(true);
  column->addWidget(sum);
  auto* across = new QHBoxLayout;
  column->addLayout(across, 3);
  auto* left = new QVBoxLayout;
  across->addLayout(left, 2);
  auto* row = new QHBoxLayout;
  left->addLayout(row);
  what = new QComboBox(this);
  what->setObjectName("faultWhat");
  what->setAccessibleName(tr("What is out"));
  what->addItems({tr("notch too deep"), tr("packing too high"), tr("brace bent too much")});
  where = new QComboBox(this);
  where->setObjectName("faultWhere");
  where->setAccessibleName(tr("Where"));
  by = new QLineEdit(this);
  by->setObjectName("faultBy");
  by->setAccessibleName(tr("By how much"));
  by->setFixedWidth(64);
  unit = new QLabel(this);
  auto* put = new QPushButton(tr("Put it in"), this);
  put->setObjectName("putFault");
  for (QWidget* w : std::initializer_list<QWidget*>{what, where, by, unit, put}) row->addWidget(w);
  said = new QLabel(this);
  said->setObjectName("problem");
  said->setWordWrap(true);
  said->hide();
  left->addWidget(said);
  list = new QListWidget(this);
  list->setObjectName("faults");
  list->setAccessibleName(tr("Errors that are put in"));
  left->addWidget(list, 1);
  out = new QPushButton(tr("Take it out"), this);
  out->setObjectName("takeFault");
  left->addWidget(out, 0, Qt::AlignLeft);
  table = new QTableWidget(0, 5, this);
  table->setObjectName("trialRibs");
  table->setAccessibleName(tr("How each rib lies"));
  table->setHorizontalHeaderLabels(
      {tr("Rib"), tr("Off"), tr("Turned nose down"), tr("Seat too high"), tr("Slot clearance")});
  table->verticalHeader()->hide();
  table->setSelectionBehavior(QAbstractItemView::SelectRows);
  table->setSelectionMode(QAbstractItemView::SingleSelection);
  table->setEditTriggers(QAbstractItemView::NoEditTriggers);
  table->horizontalHeader()->setSectionResizeMode(QHeaderView::Stretch);
  across->addWidget(table, 3);
  auto* buttons = new QDialogButtonBox(QDialogButtonBox::Close, this);
  column->addWidget(buttons);
  connect(buttons, &QDialogButtonBox::rejected, this, &QDialog::reject);
  connect(what, &QComboBox::currentIndexChanged, this, &TrialDialog::offerPlaces);
  connect(put, &QPushButton::clicked, this, &TrialDialog::putIn);
  connect(by, &QLineEdit::returnPressed, this, &TrialDialog::putIn);
  // Return in the field puts the error in and presses no button beside it.
  for (QPushButton* button : {put, out, buttons->button(QDialogButtonBox::Close)})
    button->setAutoDefault(false), button->setDefault(false);
  connect(out, &QPushButton::clicked, this, &TrialDialog::takeOut);
  connect(list, &QListWidget::currentRowChanged, this, [this](int at) { out->setEnabled(at >= 0); });
  connect(table, &QTableWidget::currentCellChanged, this, [this](int at) {
    if (at >= 0) picture->show(assembly, table->item(at, 0)->data(Qt::UserRole).toInt());
  });
  out->setEnabled(false);
  offerPlaces();
  refresh();
}

void TrialDialog::offerPlaces() {
  where->clear();
  const bool angle = what->currentIndex() == static_cast<int>(AssemblyFault::What::brace);
  for (const TruePanel& p : wing.panels) {
    if (angle) {
      if (!p.join.braces.empty()) where->addItem(tr("panel %1").arg(p.design.id.panel + 1), p.design.id.panel + 1);
      continue;
    }
    if (p.design.built != Built::ribs) continue; // it has none
    for (const Rib& r : p.frame.ribs) where->addItem(QString::fromStdString(r.name()), r.number);
  }
  unit->setText(angle ? "°" : wing.panels.front().design.unit == LengthUnit::mm ? "mm" : "in");
  by->setText(angle ? "0.5"
                    : QString::fromStdString(
                          formatLength(what->currentIndex() == 0 ? 0.3 : 0.5, wing.panels.front().design.unit, 2)));
}

void TrialDialog::putIn() {
  said->hide();
  const auto refuse = [&](const QString& why) { said->setText(why), said->show(); };
  const auto kind = static_cast<AssemblyFault::What>(what->currentIndex());
  const bool angle = kind == AssemblyFault::What::brace;
  if (where->currentIndex() < 0)
    return refuse(angle ? tr("There is no brace to bend.") : tr("There is no rib: every panel is of sheet."));
  const std::string typed = by->text().toStdString();
  double value = 0;
  if (angle) {
    bool read = false;
    value = by->text().replace(',', '.').toDouble(&read);
    if (!read || !(std::abs(value) <= mostFault))
      return refuse(tr("“%1”: an angle of up to %2° was expected.").arg(by->text()).arg(mostFault));
    value = degToRad(value);
  } else {
    const auto mm = parseLength(typed, wing.panels.front().design.unit);
    if (!mm) return refuse(QString::fromStdString(mm.problem().cause));
    value = mm.value();
    if (std::abs(value) > mostFault)
      return refuse(tr("“%1”: an error of up to %2 mm was expected.").arg(by->text()).arg(mostFault));
  }
  AssemblyFault fault{kind, 0, 1, value};
  const int number = where->currentData().toInt();
  if (angle)
    fault.panel = number - 1;
  else
    fault.rib = number, fault.panel = wing.panelAt(number).design.id.panel;
  faults.push_back(fault);
  list->addItem(wordsOf(fault));
  list->setCurrentRow(list->count() - 1);
  refresh();
}

void TrialDialog::takeOut() {
  const int at = list->currentRow();
  if (at < 0) return;
  faults.erase(faults.begin() + at);
  delete list->takeItem(at);
  refresh();
}

QString TrialDialog::wordsOf(const AssemblyFault& f) const {
  const LengthUnit in = wing.panels.front().design.unit;
  const QString much =
      QString::fromStdString(told(f.by, f.what == AssemblyFault::What::brace ? Quantity::angle : Quantity::length, in));
  switch (f.what) {
  case AssemblyFault::What::notch:
    return tr("R%1, notch too deep by %2").arg(f.rib).arg(much);
  case AssemblyFault::What::packing:
    return tr("R%1, packing under its tail too high by %2").arg(f.rib).arg(much);
  case AssemblyFault::What::brace:
    break;
  }
  return tr("Brace of panel %1 bent too much by %2").arg(f.panel + 1).arg(much);
}

void TrialDialog::refresh() {
  assembly = assembled(wing, faults);
  const LengthUnit in = wing.panels.front().design.unit;
  const auto len = [&](double mm) {
    return QString::fromStdString(told(std::abs(mm) < 0.005 ? 0 : mm, Quantity::length, in));
  };
  const int row = std::max(table->currentRow(), 0);
  int ribs = 0;
  for (const AssembledPanel& p : assembly.panels) ribs += static_cast<int>(p.ribs.size());
  table->setRowCount(ribs);
  int at = 0;
  for (const AssembledPanel& p : assembly.panels)
    for (const AssembledRib& r : p.ribs) {
      const QStringList cells{tr("R%1").arg(r.rib), len(r.off), degrees(r.turned), len(r.up),
                              r.room ? len(*r.room) : QString()};
      for (int c = 0; c < cells.size(); ++c) {
        auto* item = new QTableWidgetItem(cells[c]);
        item->setTextAlignment((c == 0 ? Qt::AlignLeft : Qt::AlignRight) | Qt::AlignVCenter);
        item->setData(Qt::UserRole, r.rib);
        table->setItem(at, c, item);
      }
      ++at;
    }
  table->setColumnHidden(4, !assembly.room);
  if (ribs > 0) table->setCurrentCell(std::min(row, ribs - 1), 0);
  const QTableWidgetItem* chosen = ribs > 0 ? table->item(table->currentRow(), 0) : nullptr;
  picture->show(assembly, chosen ? chosen->data(Qt::UserRole).toInt() : 0);
  const QString words = tr("The worst rib lies %1 off, the most turned by %2. The tip lies %3 from where it should be.")
                            .arg(len(assembly.off), degrees(assembly.turned), len(assembly.tipOff));
  QString marks = tr("Ribs in red are more than %1 or %2 off.").arg(len(trialSeen), degrees(degToRad(trialSeenDeg)));
  sum->setText(words + " " + marks);
}

} // namespace eup::app
