#include "app/bench/bench_parts.h"
#include "app/state/watch.h"
#include "core/bench/recording.h"
#include "core/design/record_keys.h"
#include "core/takeaway/piece_list.h"
#include "core/wing/model_balance.h"
#include <map>
#include <QtWidgets>

namespace eup::app {
namespace {

struct Tick {
  int column;
  Hand hand;
  bool PartTick::*what;
};
constexpr Tick ticks[] = {{BenchParts::countedRight, Hand::right, &PartTick::counted},
                          {BenchParts::countedLeft, Hand::left, &PartTick::counted},
                          {BenchParts::cutRight, Hand::right, &PartTick::cut},
                          {BenchParts::cutLeft, Hand::left, &PartTick::cut},
                          {BenchParts::fittedRight, Hand::right, &PartTick::fitted},
                          {BenchParts::fittedLeft, Hand::left, &PartTick::fitted}};

} // namespace

BenchParts::BenchParts(Document& d, Standpoint& s, QWidget* parent) : QWidget(parent), document(d), standpoint(s) {
  auto* column = new QVBoxLayout(this);
  column->setContentsMargins(0, 4, 0, 0);
  column->setSpacing(4);
  tree = new QTreeWidget(this);
  tree->setObjectName("partTicks");
  tree->setAccessibleName(tr("Parts: counted, cut and fitted; Space ticks the column that is chosen"));
  tree->setHeaderLabels({tr("Piece"), tr("Pieces"), tr("Counted R"), tr("L"), tr("Cut R"), tr("L"), tr("Fitted R"),
                         tr("L"), tr("Missing")});
  tree->setIndentation(12);
  tree->setUniformRowHeights(true);
  tree->header()->setStretchLastSection(false);
  tree->header()->setSectionResizeMode(piece, QHeaderView::Stretch);
  for (const auto& [at, wide] :
       {std::pair(count, 54), std::pair(countedRight, 74), std::pair(countedLeft, 30), std::pair(cutRight, 50),
        std::pair(cutLeft, 30), std::pair(fittedRight, 62), std::pair(fittedLeft, 30), std::pair(missing, 74)})
    tree->setColumnWidth(at, wide);
  column->addWidget(tree, 1);
  auto* foot = new QHBoxLayout;
  column->addLayout(foot);
  foot->addWidget(new QLabel(tr("The kit is short of, right"), this));
  for (const auto& [box, name, hand] :
       {std::tuple(&missingRight, "missingRight", Hand::right), std::tuple(&missingLeft, "missingLeft", Hand::left)}) {
    if (hand == Hand::left) foot->addWidget(new QLabel(tr("left"), this));
    *box = new QSpinBox(this);
    (*box)->setObjectName(name);
    (*box)->setRange(0, 9999);
    (*box)->setAccessibleName(hand == Hand::right ? tr("Missing for the right hand") : tr("Missing for the left hand"));
    foot->addWidget(*box);
    connect(*box, &QSpinBox::editingFinished, this, [this, hand = hand] {
      if (filling) return;
      const QTreeWidgetItem* item = tree->currentItem();
      if (!item || item->data(piece, Qt::UserRole).isNull()) return;
      const int many = (hand == Hand::right ? missingRight : missingLeft)->value();
      const std::string key = item->data(piece, Qt::UserRole).toString().toStdString();
      document.record([&](Records& r) { setMissing(r, key, hand, many); });
    });
  }
  auto* copy = new QPushButton(tr("Copy the list to ask for"), this);
  copy->setObjectName("copyShort");
  connect(copy, &QPushButton::clicked, this, [this] {
    const QString list = shortList();
    if (!list.isEmpty()) QGuiApplication::clipboard()->setText(list);
    says->setText(list.isEmpty() ? tr("Nothing is missing.") : tr("Copied, a line a piece."));
  });
  foot->addWidget(copy);
  foot->addStretch();
  says = new QLabel(this);
  says->setObjectName("partsSay");
  column->addWidget(says);
  connect(tree, &QTreeWidget::itemChanged, this, &BenchParts::tick);
  connect(tree, &QTreeWidget::currentItemChanged, this, [this] {
    if (!filling) showChosen();
  });
  new Watch(this, document, standpoint, [this](Changes what) {
    if (what & (Aspect::design | Aspect::wing | Aspect::stage)) refresh();
  });
}

void BenchParts::refresh() {
  const std::string was =
      tree->currentItem() ? tree->currentItem()->data(piece, Qt::UserRole).toString().toStdString() : std::string();
  const QSignalBlocker quiet(tree);
  filling = true;
  const int scrolled = tree->verticalScrollBar()->value();
  tree->clear();
  if (!document.hasWing()) {
    filling = false;
    return;
  }
  const TrueWing& w = document.wing();
  std::map<std::pair<std::string, Hand>, const PartTick*> known;
  for (const PartTick& t : document.design().records.parts) known[{t.key, t.hand}] = &t;
  std::map<QString, QTreeWidgetItem*> groups;
  int pieces = 0, counted = 0, cut = 0, fitted = 0, lacking = 0;
  for (const PieceLine& l : pieceList(w)) {
    const PanelId id = l.panel->design.id;
    const QString group = tr("%1, panel %2")
                              .arg(QString::fromStdString(w.design.wings[static_cast<std::size_t>(id.wing)].name))
                              .arg(id.panel + 1);
    QTreeWidgetItem*& head = groups[group];
    if (!head) head = new QTreeWidgetItem(tree, {group}), head->setExpanded(true);
    auto* item = new QTreeWidgetItem(head);
    const std::string key = pieceKey(l.panel->design.lasting(), l.part->id);
    item->setText(piece, QString::fromStdString(nameOf(l)));
    item->setText(count, l.left > 0 ? tr("%1 + %2").arg(l.right).arg(l.left) : QString::number(l.right));
    item->setData(piece, Qt::UserRole, QString::fromStdString(key));
    pieces += l.right + l.left;
    int short_ = 0;
    for (const Tick& t : ticks) {
      const int many = t.hand == Hand::left ? l.left : l.right;
      if (many == 0) continue;
      const auto found = known.find({key, t.hand});
      const bool on = found != known.end() && found->second->*t.what;
      item->setCheckState(t.column, on ? Qt::Checked : Qt::Unchecked);
      if (on) (t.what == &PartTick::counted ? counted : t.what == &PartTick::cut ? cut : fitted) += many;
    }
    for (const Hand hand : {Hand::right, Hand::left})
      if (const auto found = known.find({key, hand}); found != known.end()) short_ += found->second->missing;
    if (short_ > 0) item->setText(missing, QString::number(short_)), lacking += short_;
    if (key == was) tree->setCurrentItem(item);
  }
  filling = false;
  tree->verticalScrollBar()->setValue(scrolled);
  says->setText(tr("%1 pieces: %2 counted, %3 cut, %4 fitted, %5 missing")
                    .arg(pieces)
                    .arg(counted)
                    .arg(cut)
                    .arg(fitted)
                    .arg(lacking));
  showChosen();
}

void BenchParts::tick(QTreeWidgetItem* item, int column) {
  if (filling || item->data(piece, Qt::UserRole).isNull()) return;
  const std::string key = item->data(piece, Qt::UserRole).toString().toStdString();
  for (const Tick& t : ticks)
    if (t.column == column) {
      const bool on = item->checkState(column) == Qt::Checked;
      document.record([&](Records& r) { tickPart(r, key, t.hand, t.what, on); });
      return;
    }
}

void BenchParts::showChosen() {
  const QTreeWidgetItem* item = tree->currentItem();
  const bool one = item && !item->data(piece, Qt::UserRole).isNull();
  const bool wasFilling = filling;
  filling = true;
  for (const auto& [box, hand] : {std::pair(missingRight, Hand::right), std::pair(missingLeft, Hand::left)}) {
    box->setEnabled(one);
    const PartTick* t =
        one ? tickOf(document.design().records.parts, item->data(piece, Qt::UserRole).toString().toStdString(), hand)
            : nullptr;
    box->setValue(t ? t->missing : 0);
  }
  filling = wasFilling;
}

QString BenchParts::shortList() const {
  if (!document.hasWing()) return {};
  const TrueWing& w = document.wing();
  QStringList lines;
  for (const PieceLine& l : pieceList(w))
    for (const PartTick& t : document.design().records.parts)
      if (t.missing > 0 && t.key == pieceKey(l.panel->design.lasting(), l.part->id))
        lines << tr("%1 × %2 (%3 hand): %4, %5")
                     .arg(t.missing)
                     .arg(QString::fromStdString(nameOf(l)), tr(name(t.hand)), QString::fromStdString(materialOf(l)),
                          QString::fromStdString(sizeOf(*l.part, w.design.unit, 0)));
  return lines.join('\n');
}

} // namespace eup::app
