#include "app/frame/follows_list.h"
#include <QApplication>
#include <QPainter>

namespace eup::app {
namespace {

using Kind = FollowsRow::Kind;
constexpr int unitWide = 42, inset = 10, gapBelow = 3;

QFont fontOf(int pixels, bool strong = false, bool slanted = false) {
  QFont f = QApplication::font();
  f.setFamily("Inter");
  f.setPixelSize(pixels);
  f.setWeight(strong ? QFont::DemiBold : QFont::Normal);
  f.setItalic(slanted);
  return f;
}

QFont numberFont(const FollowsRow& row) {
  return fontOf(row.strong ? 15 : 13, true);
}

QFont textFont(const FollowsRow& row) {
  switch (row.kind) {
  case Kind::finding:
    return fontOf(12, true);
  case Kind::words:
    return fontOf(11, row.strong, row.slanted);
  case Kind::link:
  case Kind::figure:
    break;
  }
  return fontOf(row.kind == Kind::link ? 11 : 12);
}

/// How wide the words of a row may be.
int roomFor(const FollowsRow& row, int width) {
  if (row.kind == Kind::figure) {
    const int number = QFontMetrics(numberFont(row)).horizontalAdvance(row.number);
    const int moved = row.moved.isEmpty() ? 0 : QFontMetrics(fontOf(11)).horizontalAdvance(row.moved) + 8;
    return std::max(width - number - moved - unitWide - 16, 60);
  }
  return std::max(width - 2 * inset - (row.kind == Kind::finding ? 16 : 4), 60);
}

int highOf(const QFont& font, const QString& text, int room) {
  return text.isEmpty() ? 0 : QFontMetrics(font).boundingRect(0, 0, room, 10000, Qt::TextWordWrap, text).height();
}

} // namespace

QString FollowsRow::words() const {
  QStringList out{text};
  if (!number.isEmpty()) out << (number + " " + unit).trimmed();
  if (!where.isEmpty()) out << where;
  return out.join(kind == Kind::figure ? ": " : ", ");
}

QVariant FollowsList::data(const QModelIndex& index, int role) const {
  const FollowsRow& row = at(index.row());
  if (role == Qt::DisplayRole || role == Qt::AccessibleTextRole) return row.words();
  if (role == Qt::ToolTipRole && row.kind == Kind::figure) return tr("Open to see how it was found");
  return {};
}

bool FollowsList::show(std::vector<FollowsRow> rows) {
  if (rows == all) return false;
  bool sameRows = rows.size() == all.size();
  bool sameHeights = sameRows;
  for (std::size_t i = 0; i < rows.size() && sameRows; ++i) {
    sameRows = rows[i].id == all[i].id && rows[i].kind == all[i].kind;
    sameHeights = sameHeights && rows[i].text == all[i].text && rows[i].where == all[i].where &&
                  rows[i].number.size() == all[i].number.size() && rows[i].moved.isEmpty() == all[i].moved.isEmpty();
  }
  if (!sameRows) {
    beginResetModel();
    all = std::move(rows);
    endResetModel();
    return true;
  }
  for (std::size_t i = 0; i < rows.size(); ++i) {
    if (rows[i] == all[i]) continue;
    all[i] = std::move(rows[i]);
    const QModelIndex one = index(static_cast<int>(i));
    Q_EMIT dataChanged(one, one);
  }
  if (!sameHeights) Q_EMIT layoutChanged();
  return !sameHeights;
}

int FollowsList::find(const std::string& id) const {
  for (std::size_t i = 0; i < all.size(); ++i)
    if (all[i].id == id) return static_cast<int>(i);
  return -1;
}

QSize FollowsDelegate::sizeHint(const QStyleOptionViewItem& option, const QModelIndex& index) const {
  const FollowsRow& row = static_cast<const FollowsList*>(index.model())->at(index.row());
  const int width = option.widget ? static_cast<const QAbstractScrollArea*>(option.widget)->viewport()->width() : 300;
  const int text = highOf(textFont(row), row.text, roomFor(row, width));
  switch (row.kind) {
  case Kind::finding:
    return {width, text + 14 + (row.open ? 0 : gapBelow)};
  case Kind::words:
    return {width, text + 5};
  case Kind::link:
    return {width, text + 8};
  case Kind::figure:
    break;
  }
  const int where = highOf(fontOf(11), row.where, width - unitWide);
  return {width, std::max(text, QFontMetrics(numberFont(row)).height()) + where + 7};
}

void FollowsDelegate::paint(QPainter* p, const QStyleOptionViewItem& option, const QModelIndex& index) const {
  const FollowsRow& row = static_cast<const FollowsList*>(index.model())->at(index.row());
  QRect box = option.rect;
  const bool focused = option.state & QStyle::State_HasFocus;
  p->save();
  p->setRenderHint(QPainter::Antialiasing);
  if (row.kind == Kind::finding) {
    if (!row.open) box.setBottom(box.bottom() - gapBelow);
    p->setPen(row.wrong ? look.wrong : look.edge);
    p->setBrush(row.wrong ? look.wrongSoft : look.field);
    p->drawRoundedRect(QRectF(box).adjusted(0.5, 0.5, -0.5, -0.5), 4, 4);
    p->setFont(textFont(row));
    p->setPen(row.wrong ? look.wrong : look.ink);
    const QRect words(box.left() + inset, box.top() + 7, roomFor(row, box.width()), box.height() - 14);
    p->drawText(words, Qt::TextWordWrap | Qt::AlignVCenter, row.text);
    p->drawText(box.adjusted(0, 0, -inset, 0), Qt::AlignRight | Qt::AlignVCenter, row.open ? "▴" : "▾");
  } else if (row.kind == Kind::figure) {
    const int room = roomFor(row, box.width());
    const int text = std::max(highOf(textFont(row), row.text, room), QFontMetrics(numberFont(row)).height());
    const QRect line(box.left() + 2, box.top() + 3, box.width() - 4, text);
    if (!row.moved.isEmpty()) p->fillRect(box, look.accentSoft);
    p->setFont(textFont(row));
    p->setPen(look.ink);
    p->drawText(QRect(line.left(), line.top(), room, text), Qt::TextWordWrap | Qt::AlignVCenter, row.text);
    p->setFont(numberFont(row));
    p->drawText(line.adjusted(0, 0, -unitWide, 0), Qt::AlignRight | Qt::AlignVCenter, row.number);
    const int number = p->fontMetrics().horizontalAdvance(row.number);
    p->setFont(fontOf(11));
    p->setPen(look.accent);
    if (!row.moved.isEmpty())
      p->drawText(line.adjusted(0, 0, -unitWide - number - 8, 0), Qt::AlignRight | Qt::AlignVCenter, row.moved);
    p->setPen(look.faint);
    p->drawText(QRect(line.right() - unitWide + 5, line.top(), unitWide, text), Qt::AlignLeft | Qt::AlignVCenter,
                row.unit);
    p->drawText(QRect(line.left(), line.bottom() + 1, box.width() - unitWide, box.bottom() - line.bottom()),
                Qt::TextWordWrap, row.where);
  } else {
    p->fillRect(box, row.wrong ? look.wrongSoft : look.field);
    QFont font = textFont(row);
    font.setUnderline(row.kind == Kind::link);
    p->setFont(font);
    p->setPen(row.kind == Kind::link ? look.accent : look.ink);
    p->drawText(box.adjusted(inset, row.kind == Kind::link ? 4 : 2, -inset, 0), Qt::TextWordWrap, row.text);
  }
  if (focused) {
    p->setPen(QPen(look.accent, 2));
    p->setBrush(Qt::NoBrush);
    p->drawRect(QRectF(box).adjusted(1, 1, -1, -1));
  }
  p->restore();
}

} // namespace eup::app
