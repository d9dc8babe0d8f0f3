#include "app/frame/place_bar.h"
#include <QHBoxLayout>
#include <QLabel>
#include <QMenu>
#include <QToolButton>

namespace eup::app {

PlaceBar::PlaceBar(Document& d, Standpoint& s, QWidget* parent) : QWidget(parent), document(d), standpoint(s) {
  setObjectName("placeBar");
  setAttribute(Qt::WA_StyledBackground);
  setFixedHeight(40);
  auto* row = new QHBoxLayout(this);
  row->setContentsMargins(16, 6, 16, 4);
  row->setSpacing(6);
  const auto chip = [&](const char* name, const QString& spoken, auto fill) {
    auto* button = new QToolButton(this);
    button->setObjectName(name);
    button->setProperty("chip", true);
    button->setProperty("spoken", spoken);
    button->setPopupMode(QToolButton::InstantPopup);
    button->setFocusPolicy(Qt::StrongFocus);
    auto* menu = new QMenu(button);
    menu->setObjectName(QString(name) + " menu");
    connect(menu, &QMenu::aboutToShow, this, [this, menu, fill] {
      menu->clear();
      (this->*fill)();
    });
    button->setMenu(menu);
    row->addWidget(button);
    return button;
  };
  wing = chip("chip wing", tr("Wing"), &PlaceBar::fillWings);
  panel = chip("chip panel", tr("Panel"), &PlaceBar::fillPanels);
  rib = chip("chip rib", tr("Rib"), &PlaceBar::fillRibs);
  row->addStretch();
  new Watch(this, document, standpoint, [this](Changes) { refresh(); });
  refresh();
}

void PlaceBar::refresh() {
  const auto& wings = document.design().wings;
  const PanelId id = standpoint.panel();
  const Wing& here = wings[static_cast<std::size_t>(id.wing)];
  const auto put = [](QToolButton* chip, const QString& text, bool shown) {
    chip->setVisible(shown);
    if (chip->text() == text) return;
    chip->setText(text);
    chip->setAccessibleName(chip->property("spoken").toString() + ": " + text);
  };
  put(wing, fontMetrics().elidedText(QString::fromStdString(here.name), Qt::ElideRight, 160), wings.size() > 1);
  put(panel, tr("Panel %1 of %2").arg(id.panel + 1).arg(here.panels.size()), here.panels.size() > 1);
  if (document.hasWing()) {
    const TruePanel& p = standpoint.shownPanel();
    const Rib& r = standpoint.shownRib();
    put(rib,
        tr("%1, %2").arg(
            QString::fromStdString(r.name()),
            QString::fromStdString(told(p.design.inboard + r.t(), Quantity::length, document.design().unit))),
        true);
  } else {
    rib->hide();
  }
}

void PlaceBar::fillWings() {
  const auto& wings = document.design().wings;
  for (int i = 0; i < static_cast<int>(wings.size()); ++i) {
    QAction* a = wing->menu()->addAction(QString::fromStdString(wings[static_cast<std::size_t>(i)].name), this,
                                         [this, i] { standpoint.setWing(i); });
    a->setObjectName(QString("wing %1").arg(i + 1));
    a->setCheckable(true);
    a->setChecked(i == standpoint.wing());
  }
}

void PlaceBar::fillPanels() {
  const int count =
      static_cast<int>(document.design().wings[static_cast<std::size_t>(standpoint.wing())].panels.size());
  for (int i = 0; i < count; ++i) {
    QAction* a = panel->menu()->addAction(i == 0           ? tr("Panel 1, innermost")
                                          : i + 1 == count ? tr("Panel %1, outermost").arg(i + 1)
                                                           : tr("Panel %1").arg(i + 1),
                                          this, [this, i] {
                                            standpoint.setPanel({standpoint.wing(), i});
                                          });
    a->setObjectName(QString("panel %1").arg(i + 1));
    a->setCheckable(true);
    a->setChecked(i == standpoint.panel().panel);
  }
}

void PlaceBar::fillRibs() {
  if (!document.hasWing()) return;
  const TruePanel& p = standpoint.shownPanel();
  for (const Rib& r : p.frame.ribs) {
    QAction* a =
        rib->menu()->addAction(tr("%1, %2").arg(QString::fromStdString(r.name()),
                                                QString::fromStdString(told(p.design.inboard + r.t(), Quantity::length,
                                                                            document.design().unit))),
                               this, [this, n = r.number] { standpoint.setRib(n); });
    a->setObjectName(QString("rib %1").arg(r.number));
    a->setCheckable(true);
    a->setChecked(r.number == standpoint.shownRib().number);
  }
}

} // namespace eup::app
