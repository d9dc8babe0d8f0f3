// A figure told large: what it is, its number, its unit.
#pragma once
#include "app/look/look.h"
#include <QAbstractButton>

namespace eup::app {

class HeadlineTile : public QAbstractButton {
  Q_OBJECT
public:
  HeadlineTile(const Look& look, QWidget* parent);
  struct Words {
    std::string kind; ///< of the figure
    QString label, number, unit, moved;
    bool open = false;
    bool operator==(const Words&) const = default;
  };
  void show(const Words& words);
  const Words& words() const { return told; }
  QSize sizeHint() const override { return {150, 52}; }

protected:
  void paintEvent(QPaintEvent*) override;

private:
  const Look& look;
  Words told;
};

} // namespace eup::app
