// The plan's panel: what is read, and each reading as a number.
#include "app/decide/decide_panel.h"
#include "app/decide/plan_panel.h"
#include "app/decide/plan_panel_parts.h"
#include "core/described/decisions.h"
#include "core/measure/length_text.h"
#include <QCheckBox>
#include <QComboBox>
#include <QGridLayout>
#include <QHeaderView>
#include <QTableWidget>
#include <QVBoxLayout>

namespace eup::app {

using namespace plan_parts;

void PlanPanel::fillReadings(QTableWidget* table) const {
  const Plan& plan = document.design().plan;
  const auto& laid = document.plan().sheets;
  table->setRowCount(static_cast<int>(plan.readings.size()));
  for (std::size_t i = 0; i < plan.readings.size(); ++i) {
    const Reading& r = plan.readings[i];
    const ReadValue v = valueOf(r, laid);
    QString name = plain(nameOf(r));
    if (r.hand == Hand::left) name += tr(", left");
    const QString value = v.across ? tr("%1, %2").arg(plain(formatLength(v.value, document.design().unit, 1)),
                                                      plain(formatLength(*v.across, document.design().unit, 1)))
                                   : plain(told(v.value, v.quantity, document.design().unit));
    table->setItem(static_cast<int>(i), 0, new QTableWidgetItem(name));
    table->setItem(static_cast<int>(i), 1, new QTableWidgetItem(value));
  }
}

QWidget* PlanPanel::readPage() {
  auto* w = new QWidget(this);
  auto* rows = new QVBoxLayout(w);
  rows->setContentsMargins(0, 0, 0, 0);
  auto* kind = new QComboBox(w);
  kind->setObjectName("readingKind");
  kind->setAccessibleName(tr("What to read"));
  for (const Choice& c : readingChoices)
    kind->addItem(QString::fromUtf8(c.label.data(), static_cast<qsizetype>(c.label.size())),
                  QString::fromUtf8(c.key.data(), static_cast<qsizetype>(c.key.size())));
  kind->setCurrentIndex(static_cast<int>(board.kind()));
  connect(kind, &QComboBox::activated, this, [this](int i) { board.setKind(static_cast<ReadingKind>(i)); });
  rows->addWidget(kind);
  auto* line = new QHBoxLayout;
  auto* hand = new QComboBox(w);
  hand->setObjectName("readingHand");
  hand->setAccessibleName(tr("Hand that is read"));
  hand->addItems({tr("right hand"), tr("left hand")});
  hand->setCurrentIndex(board.readHand() == Hand::left ? 1 : 0);
  connect(hand, &QComboBox::activated, this, [this](int i) { board.setReadHand(i == 1 ? Hand::left : Hand::right); });
  line->addWidget(hand);
  const bool section = board.kind() == ReadingKind::upperSurface || board.kind() == ReadingKind::lowerSurface;
  line->addWidget(caption(w, section ? tr("1 root, 2 tip") : tr("number")));
  auto* number = field(w, "readingNumber", tr("Number of the rib, spar or mark"), QString::number(board.number()));
  number->setFixedWidth(52);
  connect(number, &DecisionEdit::committed, this, [this](const QString& text) { board.setNumber(text.toInt()); });
  connect(number, &DecisionEdit::nudged, this,
          [this](int by, Qt::KeyboardModifiers) { board.setNumber(board.number() + by); });
  line->addWidget(number);
  rows->addLayout(line);
  auto* go = new QHBoxLayout;
  auto* start =
      button(w, board.tool() == PlanTool::read ? tr("Stop reading") : tr("Start reading"), "startReading", [this] {
        board.tool() == PlanTool::read ? board.setTool(PlanTool::none) : board.setKind(board.kind());
        board.setFocus();
      });
  go->addWidget(start);
  const PointCount count = pointsOf(board.kind());
  if (board.tool() == PlanTool::read && count.least != count.most) {
    auto* finish =
        button(w, tr("Finish it (%1)").arg(board.pointsPlaced()), "finishReading", [this] { board.finish(); });
    finish->setEnabled(board.pointsPlaced() >= count.least);
    go->addWidget(finish);
  }
  rows->addLayout(go);
  auto* snaps = new QCheckBox(tr("Snap to the middle of the ink (S)"), w);
  snaps->setObjectName("snapping");
  snaps->setChecked(board.snapping());
  connect(snaps, &QCheckBox::clicked, this, [this](bool on) { board.setSnapping(on); });
  rows->addWidget(snaps);
  if (board.tool() == PlanTool::read) rows->addWidget(caption(w, board.instruction()));

  const Plan& plan = document.design().plan;
  auto* table = new QTableWidget(0, 2, w);
  table->setObjectName("readings");
  table->setAccessibleName(tr("Readings"));
  table->setHorizontalHeaderLabels(
      {tr("%n reading(s)", nullptr, static_cast<int>(plan.readings.size())).replace("reading(s)", tr("readings")),
       tr("measures / lies at")});
  table->verticalHeader()->hide();
  table->verticalHeader()->setDefaultSectionSize(22);
  table->horizontalHeader()->setSectionResizeMode(0, QHeaderView::Stretch);
  table->setColumnWidth(1, 132);
  table->setSelectionBehavior(QAbstractItemView::SelectRows);
  table->setSelectionMode(QAbstractItemView::SingleSelection);
  table->setEditTriggers(QAbstractItemView::NoEditTriggers);
  table->setMinimumHeight(170);
  table->setMaximumHeight(230);
  fillReadings(table);
  if (reading && *reading >= plan.readings.size()) reading.reset();
  if (reading)
    table->selectRow(static_cast<int>(*reading)), table->scrollToItem(table->item(static_cast<int>(*reading), 0));
  else
    table->scrollToBottom();
  connect(table, &QTableWidget::currentCellChanged, this, [this](int row, int, int, int) {
    if (row < 0 || (reading && *reading == static_cast<std::size_t>(row))) return;
    reading = static_cast<std::size_t>(row);
    board.reveal(*reading);
    timer.start(0);
  });
  rows->addWidget(table);
  if (reading) showReading(rows);
  return w;
}

void PlanPanel::showReading(QVBoxLayout* rows) {
  const std::size_t i = *reading;
  const Reading& r = document.design().plan.readings[i];
  const ReadValue v = valueOf(r, document.plan().sheets);
  auto* w = qobject_cast<QWidget*>(rows->parent());
  auto* grid = new QGridLayout;
  auto* name = field(w, "readingName", tr("Reading's name"), plain(nameOf(r)));
  name->setAlignment(Qt::AlignLeft);
  connect(name, &DecisionEdit::committed, this, [this, i](const QString& text) {
    Design next = document.design();
    next.plan.readings.at(i).name = text.left(100).toStdString();
    document.edit(tr("Name of reading"), std::move(next));
  });
  grid->addWidget(caption(w, tr("name")), 0, 0);
  grid->addWidget(name, 0, 1, 1, 3);
  const auto take = [this, i](double value, std::optional<double> across) {
    const auto plan = withValue(document.design().plan, i, value, across);
    if (!plan) {
      Q_EMIT said(plain(plan.problem().text()), true);
      timer.start(0);
      return;
    }
    Design next = document.design();
    next.plan = plan.value();
    const QString called = plain(nameOf(next.plan.readings.at(i)));
    document.edit(tr("Edit %1").arg(called), std::move(next));
  };
  if (v.quantity == Quantity::angle) {
    auto* edit = field(w, "readingValue", tr("Angle"), plain(formatNumber(radToDeg(v.value), 2)));
    connect(edit, &DecisionEdit::committed, this, [this, take](const QString& text) {
      const auto number = parseNumber(text.toStdString());
      if (!number) {
        Q_EMIT said(plain(number.problem().cause), true);
        return timer.start(0);
      }
      take(degToRad(number.value()), {});
    });
    grid->addWidget(caption(w, tr("degrees")), 1, 0);
    grid->addWidget(edit, 1, 1);
  } else if (v.across) {
    auto* along =
        field(w, "readingValue", tr("Along the plan"), plain(formatLength(v.value, document.design().unit, 2)));
    auto* across =
        field(w, "readingAcross", tr("Up the plan"), plain(formatLength(*v.across, document.design().unit, 2)));
    connect(along, &DecisionEdit::committed, this,
            [this, take, y = *v.across](const QString& text) { typeLength(text, [&](double mm) { take(mm, y); }); });
    connect(across, &DecisionEdit::committed, this,
            [this, take, x = v.value](const QString& text) { typeLength(text, [&](double mm) { take(x, mm); }); });
    grid->addWidget(caption(w, tr("along")), 1, 0);
    grid->addWidget(along, 1, 1);
    grid->addWidget(caption(w, tr("up")), 1, 2);
    grid->addWidget(across, 1, 3);
  } else if (r.points.size() == 2) {
    auto* edit = field(w, "readingValue", tr("Length"), plain(formatLength(v.value, document.design().unit, 2)));
    connect(edit, &DecisionEdit::committed, this,
            [this, take](const QString& text) { typeLength(text, [&](double mm) { take(mm, {}); }); });
    grid->addWidget(caption(w, tr("length")), 1, 0);
    grid->addWidget(edit, 1, 1);
  }
  grid->addWidget(button(w, tr("Take it out"), "dropReading",
                         [this, i] {
                           Design next = document.design();
                           const QString called = plain(nameOf(next.plan.readings.at(i)));
                           next.plan.readings.erase(next.plan.readings.begin() + static_cast<std::ptrdiff_t>(i));
                           reading.reset();
                           document.edit(tr("Take out %1").arg(called), std::move(next));
                         }),
                  2, 1, 1, 3);
  rows->addLayout(grid);
}

// ---- Judge

} // namespace eup::app
