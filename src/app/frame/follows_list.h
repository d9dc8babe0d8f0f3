// The rows of Follows, and how they are drawn.
#pragma once
#include "app/look/look.h"
#include "core/wing/true_wing.h"
#include <QAbstractListModel>
#include <QStyledItemDelegate>

namespace eup::app {

struct FollowsRow {
  enum class Kind { finding, figure, words, link } kind = Kind::figure;
  std::string id; ///< a figure's kind, a finding's key and place; of what stands under one, that with a number
  QString text, number, unit, where, moved;
  bool open = false;
  bool wrong = false;   ///< a finding that is more than a note, and what stands under it
  bool strong = false;  ///< the rule with its numbers; a figure carried to the bench
  bool slanted = false; ///< a source
  bool under = false;   ///< stands under an open row
  std::string decision; ///< of a link: where it leads
  std::optional<int> rib{};
  PanelId place;
  bool operator==(const FollowsRow&) const = default;
  /// As it is read out.
  QString words() const;
};

class FollowsList : public QAbstractListModel {
  Q_OBJECT
public:
  using QAbstractListModel::QAbstractListModel;
  int rowCount(const QModelIndex& parent = {}) const override {
    return parent.isValid() ? 0 : static_cast<int>(all.size());
  }
  QVariant data(const QModelIndex& index, int role) const override;
  /// True when rows came, went, or may have another height.
  bool show(std::vector<FollowsRow> rows);
  const FollowsRow& at(int row) const { return all[static_cast<std::size_t>(row)]; }
  int find(const std::string& id) const; ///< -1 for none

private:
  std::vector<FollowsRow> all;
};

class FollowsDelegate : public QStyledItemDelegate {
public:
  FollowsDelegate(const Look& colours, QObject* parent) : QStyledItemDelegate(parent), look(colours) {}
  void paint(QPainter* painter, const QStyleOptionViewItem& option, const QModelIndex& index) const override;
  QSize sizeHint(const QStyleOptionViewItem& option, const QModelIndex& index) const override;

private:
  const Look& look;
};

} // namespace eup::app
