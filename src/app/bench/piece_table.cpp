#include "app/bench/piece_table.h"
#include "app/look/words.h"
#include "app/state/watch.h"
#include "core/assembly/piece_finder.h"
#include "core/design/record_keys.h"
#include "core/measure/length_text.h"
#include "core/takeaway/piece_list.h"
#include "core/wing/model_balance.h"
#include "core/wing/run_over.h"
#include <QtWidgets>

namespace eup::app {
namespace {

enum PieceColumn { piece, pieces, material, from, cutTo, grain, weighs, scales };
constexpr int keyRole = Qt::UserRole, panelRole = Qt::UserRole + 1, wingRole = Qt::UserRole + 2,
              handRole = Qt::UserRole + 3; // of a piece that only one hand has

} // namespace

PieceTable::PieceTable(Document& d, Standpoint& s, QWidget* parent) : QWidget(parent), document(d), standpoint(s) {
  auto* column = new QVBoxLayout(this);
  column->setContentsMargins(10, 4, 10, 6);
  column->setSpacing(4);
  auto* row = new QHBoxLayout;
  column->addLayout(row);
  row->addWidget(new QLabel(tr("Pieces"), this));
  by = new QComboBox(this);
  by->setObjectName("piecesBy");
  by->setAccessibleName(tr("Gathered"));
  by->addItems({tr("by panel"), tr("by stock"), tr("by hand")});
  row->addWidget(by);
  row->addStretch();
  said = new QLabel(this);
  said->setObjectName("problem");
  row->addWidget(said);
  row->addWidget(new QLabel(tr("On the scales, all of it: right"), this));
  for (const auto& [field, name, words] :
       {std::tuple(&right, "weighedRight", tr("Grams that the right hand's weighs; empty: as reckoned")),
        std::tuple(&left, "weighedLeft", tr("Grams that the left hand's weighs; empty: as reckoned"))}) {
    if (field == &left) row->addWidget(leftWords = new QLabel(tr("left"), this));
    *field = new QLineEdit(this);
    (*field)->setObjectName(name);
    (*field)->setAccessibleName(words);
    (*field)->setToolTip(words);
    (*field)->setFixedWidth(58);
    row->addWidget(*field);
  }
  row->addWidget(new QLabel(tr("g"), this));
  connect(right, &QLineEdit::editingFinished, this, [this] { weigh(Hand::right, right->text()); });
  connect(left, &QLineEdit::editingFinished, this, [this] { weigh(Hand::left, left->text()); });
  tree = new QTreeWidget(this);
  tree->setObjectName("pieces");
  tree->setAccessibleName(tr("Every piece of the wings"));
  tree->setColumnCount(scales + 1);
  tree->setIndentation(12);
  tree->setUniformRowHeights(true);
  tree->setSelectionMode(QAbstractItemView::SingleSelection);
  tree->setRootIsDecorated(true);
  tree->setAlternatingRowColors(false);
  tree->header()->setStretchLastSection(false);
  tree->header()->setSectionResizeMode(piece, QHeaderView::Stretch);
  for (const auto& [at, wide] :
       {std::pair(pieces, 50), std::pair(material, 128), std::pair(from, 106), std::pair(cutTo, 90),
        std::pair(grain, 52), std::pair(weighs, 54), std::pair(scales, 60)})
    tree->setColumnWidth(at, wide);
  column->addWidget(tree, 1);
  connect(by, &QComboBox::activated, this, [this] { refresh(); });
  connect(tree, &QTreeWidget::currentItemChanged, this, [this](QTreeWidgetItem* now) {
    if (filling || !now || now->data(piece, keyRole).isNull()) return;
    if (const QVariant hand = now->data(piece, handRole); hand.isValid())
      standpoint.setHand(hand.toInt() == static_cast<int>(Hand::left) ? ShownHand::left : ShownHand::right);
    standpoint.setPiece({now->data(piece, wingRole).toInt(), now->data(piece, panelRole).toInt()},
                        pieceIdFrom(now->data(piece, keyRole).toString().toStdString()));
  });
  new Watch(this, document, standpoint, [this](Changes what) {
    if (what & (Aspect::design | Aspect::wing | Aspect::stage))
      refresh();
    else if (what & (Aspect::place | Aspect::subject))
      markChosen();
  });
}

void PieceTable::refresh() {
  if (standpoint.stage() != Stage::stock || !document.hasWing()) return;
  const QSignalBlocker quiet(tree);
  filling = true;
  const QString in = document.design().unit == LengthUnit::mm ? tr("mm") : tr("inches");
  tree->setHeaderLabels({tr("Piece"), tr("Pieces"), tr("Of"), tr("From, %1").arg(in), tr("Cut to, %1").arg(in),
                         tr("Grain"), tr("Weighs"), tr("Scales, g")});
  const int scrolled = tree->verticalScrollBar()->value();
  tree->clear();
  const TrueWing& w = document.wing();
  const LengthUnit unit = w.design.unit;
  struct Group {
    QTreeWidgetItem* item;
    double grams = 0;
    int count = 0;
  };
  std::map<QString, Group> groups;
  std::vector<QString> order;
  std::map<std::pair<std::string, Hand>, double> weighed;
  for (const Weighed& one : w.design.balance.weighed) weighed[{one.piece, one.hand}] = one.grams;
  const auto weighedOf = [&](const PieceLine& l) {
    const std::string name = pieceKey(l.panel->design.lasting(), l.part->id);
    const auto said_ = [&](Hand hand) {
      const auto found = weighed.find({name, hand});
      return found == weighed.end() ? QString() : inWords(formatNumber(found->second, 2));
    };
    const QString r = said_(Hand::right), other = said_(Hand::left);
    return other.isEmpty() ? r : tr("%1, left %2").arg(r.isEmpty() ? tr("–") : r, other);
  };
  const auto put = [&](const QString& group, const PieceLine& l, int count, double grams) {
    if (count == 0) return;
    const auto [found, fresh] = groups.try_emplace(group);
    if (fresh) {
      found->second.item = new QTreeWidgetItem(QStringList{group});
      order.push_back(group);
    }
    Group& g = found->second;
    g.grams += grams, g.count += count;
    auto* item = new QTreeWidgetItem(g.item);
    item->setText(piece, inWords(nameOf(l)));
    item->setText(pieces, QString::number(count));
    item->setText(material, inWords(materialOf(l)));
    item->setText(from, inWords(wordsOf(l.part->stock, unit)));
    item->setText(cutTo, inWords(sizeOf(*l.part, unit, w.design.cutList.trim)));
    item->setText(grain, tr(wordsOf(l.part->grain)));
    item->setText(weighs, inWords(told(grams, Quantity::mass, unit)));
    item->setText(scales, weighedOf(l));
    for (const int at : {pieces, cutTo, weighs, scales}) item->setTextAlignment(at, Qt::AlignRight | Qt::AlignVCenter);
    item->setData(piece, keyRole, inWords(l.part->key()));
    if (l.only) item->setData(piece, handRole, static_cast<int>(*l.only));
    item->setData(piece, wingRole, l.panel->design.id.wing);
    item->setData(piece, panelRole, l.panel->design.id.panel);
    const QString where = l.part->drawn == DrawnOn::ribs       ? tr("drawn at full size on the ribs' print")
                          : l.part->drawn == DrawnOn::braces   ? tr("drawn at full size on the braces' print")
                          : l.part->drawn == DrawnOn::skins    ? tr("drawn at full size on the skins' print")
                          : l.part->drawn == DrawnOn::foam     ? tr("cut between the foam's templates")
                          : l.part->drawn == DrawnOn::surfaces ? tr("printed with the surfaces")
                                                               : tr("cut by the list");
    item->setToolTip(piece, where);
  };
  for (const PieceLine& l : pieceList(w)) {
    const PanelId id = l.panel->design.id;
    const QString panelName =
        (w.wings.size() > 1 ? inWords(w.design.wings[static_cast<std::size_t>(id.wing)].name) + ", " : QString()) +
        (l.panel->design.of > 1 ? tr("panel %1").arg(id.panel + 1) : tr("the whole panel"));
    switch (static_cast<By>(by->currentIndex())) {
    case By::panel:
      put(panelName, l, l.right + l.left, l.grams);
      break;
    case By::stock:
      put(inWords(materialOf(l) + ", " + wordsOf(l.part->stock, unit)), l, l.right + l.left, l.grams);
      break;
    case By::hand: {
      const double one = l.part->grams;
      if (l.part->shared)
        put(tr("One for both hands"), l, l.right, l.grams);
      else {
        put(tr("Right hand"), l, l.right, one);
        put(tr("Left hand"), l, l.left, one);
      }
      break;
    }
    }
  }
  for (const QString& name : order) {
    Group& g = groups.at(name);
    g.item->setText(pieces, QString::number(g.count));
    g.item->setText(weighs, inWords(told(g.grams, Quantity::mass, unit)));
    for (const int at : {pieces, weighs}) g.item->setTextAlignment(at, Qt::AlignRight | Qt::AlignVCenter);
    QFont strong = g.item->font(piece);
    strong.setBold(true);
    g.item->setFont(piece, strong);
    tree->addTopLevelItem(g.item);
    g.item->setExpanded(true);
  }
  filling = false;
  tree->verticalScrollBar()->setValue(scrolled);
  markChosen();
}

/// The row of the piece that is chosen; of the first hand that has it.
void PieceTable::markChosen() {
  const QSignalBlocker quiet(tree);
  filling = true;
  const PanelId here = standpoint.panel();
  const QTreeWidgetItem* now = tree->currentItem();
  const auto is = [&](const QTreeWidgetItem* item) {
    return item && !item->data(piece, keyRole).isNull() && standpoint.piece() &&
           pieceIdFrom(item->data(piece, keyRole).toString().toStdString()) == standpoint.piece() &&
           item->data(piece, wingRole).toInt() == here.wing && item->data(piece, panelRole).toInt() == here.panel;
  };
  const bool onLeft = standpoint.hand() == ShownHand::left;
  const auto isShown = [&](const QTreeWidgetItem* item) {
    const QVariant hand = item ? item->data(piece, handRole) : QVariant();
    return is(item) && (!hand.isValid() || (hand.toInt() == static_cast<int>(Hand::left)) == onLeft);
  };
  if (!isShown(now)) {
    QTreeWidgetItem* found = nullptr;
    for (int i = 0; i < tree->topLevelItemCount() && !found; ++i)
      for (int k = 0; k < tree->topLevelItem(i)->childCount() && !found; ++k)
        if (isShown(tree->topLevelItem(i)->child(k))) found = tree->topLevelItem(i)->child(k);
    tree->setCurrentItem(found);
    if (found) tree->scrollToItem(found);
  }
  filling = false;
  showWeights();
}

const Part* PieceTable::chosen() const {
  if (!document.hasWing()) return nullptr;
  return standpoint.piece() ? PieceFinder(standpoint.shownPanel().parts).find(*standpoint.piece()) : nullptr;
}

/// What the scales said of the chosen piece, and in grey what was reckoned.
void PieceTable::showWeights() {
  const Part* part = chosen();
  const bool both = part && !part->shared && standpoint.shownPanel().design.mirrored;
  for (QWidget* w : {static_cast<QWidget*>(left), static_cast<QWidget*>(leftWords)}) w->setEnabled(both);
  right->setEnabled(part != nullptr);
  // The whole piece, with its lengths in panels further out.
  const double reckoned =
      part ? gramsWhole(standpoint.shownWing(), standpoint.shownPanel().design.id.panel, *part) * (part->shared ? 2 : 1)
           : 0;
  for (const auto& [field, hand] : {std::pair(right, Hand::right), std::pair(left, Hand::left)}) {
    if (field->hasFocus() && field->isModified()) continue;
    QString text;
    if (part)
      for (const Weighed& one : document.design().balance.weighed)
        if (one.hand == hand && one.piece == pieceKey(standpoint.shownPanel().design.lasting(), part->id))
          text = inWords(formatNumber(one.grams, 2));
    field->setText(text);
    const bool there = part && (hand == Hand::right || both);
    field->setPlaceholderText(there ? inWords(formatNumber(reckoned, 2)) : QString());
    field->setModified(false);
  }
}

void PieceTable::weigh(Hand hand, const QString& text) {
  QLineEdit* field = hand == Hand::right ? right : left;
  if (!field->isModified()) return;
  field->setModified(false);
  const Part* part = chosen();
  if (!part) return;
  said->clear();
  const std::string name = pieceKey(standpoint.shownPanel().design.lasting(), part->id);
  Design next = document.design();
  std::vector<Weighed>& all = next.balance.weighed;
  std::erase_if(all, [&](const Weighed& one) { return one.piece == name && one.hand == hand; });
  if (!text.trimmed().isEmpty()) {
    const auto grams = parseMass(text.toStdString());
    if (!grams || grams.value() < 0 || static_cast<int>(all.size()) >= mostWeighed) {
      said->setText(!grams ? inWords(grams.problem().cause) : tr("“%1” is not a mass here.").arg(text));
      return showWeights();
    }
    all.push_back(Weighed{name, hand, grams.value()});
  }
  document.edit(tr("Weigh the %1").arg(inWords(part->name)), std::move(next));
}

} // namespace eup::app
