#include "app/look/look.h"
#include "core/files/shipped.h"
#include <QFontDatabase>

/// Resources of a static library are taken in by name, and only from outside any namespace.
static void initIcons() {
  Q_INIT_RESOURCE(icons);
}

namespace eup::app {

Look lightLook() {
  Look l;
  l.paper = "#f4efe2", l.grid = "#e7dfcc", l.ink = "#202c33", l.faint = "#545e63";
  l.rail = "#e8e0cf", l.panel = "#fdfbf5", l.field = "#f4efe2", l.edge = "#c9bfa9";
  l.accent = "#1f5f8b", l.accentSoft = "#d5e5ef", l.wrong = "#b3381b", l.wrongSoft = "#f8e3dc", l.good = "#3d6b3f";
  l.balsa = "#f0dcae", l.hardwood = "#d59c53", l.ply = "#bd8a52", l.sheet = "#e3c88f", l.stock = "#dcb273",
  l.foam = "#cfe0e6";
  return l;
}

Look darkLook() {
  Look l;
  l.dark = true;
  l.paper = "#20262a", l.grid = "#2a3236", l.ink = "#ece6d8", l.faint = "#a3aba9";
  l.rail = "#191e21", l.panel = "#262d31", l.field = "#1c2225", l.edge = "#465056";
  l.accent = "#7dbbe0", l.accentSoft = "#2d4656", l.wrong = "#ff9478", l.wrongSoft = "#4a2a22", l.good = "#94c795";
  l.balsa = "#7c6b46", l.hardwood = "#b47c36", l.ply = "#96693a", l.sheet = "#66583a", l.stock = "#927040",
  l.foam = "#4c636d";
  return l;
}

QString styleSheet(const Look& l) {
  QString css = R"(
* { font-family: "Inter"; font-size: 12px; color: @ink; }
QMainWindow, QDialog, QWidget#furniture { background: @panel; }
QWidget#rail { background: @rail; }
QWidget#topBar { background: @panel; border-bottom: 1px solid @edge; }
QWidget#side { background: @panel; border-left: 1px solid @edge; }
QMenuBar { background: transparent; } QMenuBar::item { padding: 5px 8px; background: transparent; border-radius: 3px; }
QMenuBar::item:selected, QMenu::item:selected { background: @accentSoft; }
QMenu { background: @panel; border: 1px solid @edge; padding: 4px; } QMenu::item { padding: 5px 26px 5px 14px; }
QMenu::separator { height: 1px; background: @edge; margin: 4px 8px; } QMenu::item:disabled { color: @faint; }
QLineEdit, QComboBox, QSpinBox { background: @field; border: 1px solid @edge; border-radius: 3px; padding: 3px 6px; min-height: 17px; selection-background-color: @accent; selection-color: @panel; }
QLineEdit:focus, QComboBox:focus { border: 2px solid @accent; padding: 2px 5px; }
QLineEdit[wrong="true"] { border: 2px solid @wrong; padding: 2px 5px; }
QComboBox::drop-down { border: none; width: 20px; } QComboBox::down-arrow { image: url(:/icons/down.svg); width: 11px; height: 11px; }
QComboBox QAbstractItemView { background: @panel; border: 1px solid @edge; selection-background-color: @accentSoft; selection-color: @ink; }
QPushButton, QToolButton { background: @field; border: 1px solid @edge; border-radius: 4px; padding: 5px 10px; }
QPushButton:hover, QToolButton:hover { border-color: @accent; }
QPushButton:focus, QToolButton:focus { border: 2px solid @accent; padding: 4px 9px; }
QPushButton:disabled, QToolButton:disabled { color: @faint; }
QPushButton#primary { background: @ink; color: @panel; border-color: @ink; font-weight: 600; padding: 8px 16px; }
QToolButton[segment="true"] { border-radius: 0; padding: 5px 12px; }
QToolButton[segment="true"]:checked { background: @ink; color: @panel; font-weight: 700; }
QToolButton[tab="true"] { border: none; border-bottom: 2px solid transparent; border-radius: 0; background: transparent; padding: 4px 6px; color: @faint; }
QToolButton[tab="true"]:checked { color: @ink; border-bottom: 2px solid @accent; font-weight: 600; }
QToolButton[tab="true"]:focus { background: @accentSoft; }
QToolButton[stage="true"] { text-align: left; border: none; border-left: 4px solid transparent; border-radius: 0; background: transparent; padding: 0; }
QToolButton[stage="true"]:checked { background: @panel; border-left: 4px solid @accent; }
QToolButton[stage="true"]:focus { background: @accentSoft; }
QLabel#stageTitle { font-size: 13px; font-weight: 600; }
QWidget#railParts { background: @panel; border-left: 4px solid @accent; }
QToolButton[part="true"] { text-align: left; border: none; border-radius: 4px; background: transparent; padding: 0 8px; }
QToolButton[part="true"]:checked { background: @accentSoft; color: @accent; font-weight: 600; }
QToolButton[part="true"]:focus { border: 1px solid @accent; padding: 0 7px; }
QLabel#chosenPart { color: @accent; font-weight: 600; }
QWidget#placeBar { background: @paper; }
QToolButton[chip="true"] { border-radius: 13px; padding: 4px 22px 4px 12px; background: @panel; font-weight: 600; }
QToolButton[chip="true"]:focus { padding: 3px 21px 3px 11px; }
QToolButton[chip="true"]::menu-indicator { image: url(:/icons/down.svg); width: 10px; height: 10px; subcontrol-position: right center; right: 8px; }
QToolButton[extra="true"] { border: 1px solid @accent; border-radius: 11px; color: @accent; background: transparent; padding: 2px 8px; font-size: 11px; font-weight: 600; }
QToolButton[extra="true"]:focus { border: 2px solid @accent; padding: 1px 7px; }
QToolButton[quiet="true"] { border: 1px solid transparent; background: transparent; color: @accent; padding: 1px 4px; font-size: 11px; }
QToolButton[quiet="true"]:hover, QToolButton[quiet="true"]:focus { border: 1px solid @accent; padding: 1px 4px; }
QFrame#divider { background: @edge; border: none; }
QListView#follows { background: transparent; border: none; }
QLabel#heading { font-size: 11px; font-weight: 700; color: @faint; }
QLabel#small, QLabel#unit { font-size: 11px; color: @faint; }
QLabel#title { font-size: 15px; font-weight: 700; }
QLabel#problem { color: @wrong; font-size: 11px; }
QFrame#card { background: @wrongSoft; border: 1px solid @wrong; border-radius: 4px; }
QFrame#card[severity="note"] { background: @field; border-color: @edge; }
QFrame#working { background: @field; border: 1px solid @edge; border-radius: 4px; }
QFrame#message { background: @accentSoft; border-bottom: 1px solid @edge; }
QFrame#message[wrong="true"] { background: @wrongSoft; }
QLabel#cardTitle { color: @wrong; font-weight: 700; } QLabel#cardTitle[severity="note"] { color: @ink; }
QTableWidget, QListWidget, QTreeWidget { background: @field; border: 1px solid @edge; border-radius: 3px; gridline-color: @edge; selection-background-color: @accentSoft; selection-color: @ink; }
QTreeWidget::item:selected { background: @accentSoft; color: @ink; }
QTableWidget:focus, QListWidget:focus, QTreeWidget:focus { border: 2px solid @accent; }
QHeaderView { background: @panel; } QHeaderView::section { background: @panel; color: @faint; border: none; border-bottom: 1px solid @edge; padding: 3px 5px; font-size: 11px; }
QTableCornerButton::section { background: @panel; border: none; }
QProgressBar { background: @field; border: 1px solid @edge; border-radius: 3px; text-align: center; } QProgressBar::chunk { background: @accentSoft; }
QScrollArea, QScrollArea > QWidget > QWidget { background: transparent; border: none; }
QScrollBar:vertical { background: transparent; width: 8px; } QScrollBar::handle:vertical { background: @edge; border-radius: 4px; min-height: 24px; }
QScrollBar::add-line, QScrollBar::sub-line { height: 0; } QScrollBar::add-page, QScrollBar::sub-page { background: transparent; }
QCheckBox { spacing: 6px; } QCheckBox::indicator { width: 15px; height: 15px; border: 1px solid @edge; border-radius: 3px; background: @field; }
QCheckBox::indicator:checked { background: @accent; border-color: @accent; image: url(:/icons/tick.svg); } QCheckBox:focus { background: @accentSoft; }
QToolTip { background: @panel; color: @ink; border: 1px solid @edge; padding: 4px; }
)";
  const std::pair<const char*, QColor> names[] = {{"@accentSoft", l.accentSoft},
                                                  {"@wrongSoft", l.wrongSoft},
                                                  {"@accent", l.accent},
                                                  {"@wrong", l.wrong},
                                                  {"@panel", l.panel},
                                                  {"@paper", l.paper},
                                                  {"@field", l.field},
                                                  {"@faint", l.faint},
                                                  {"@edge", l.edge},
                                                  {"@rail", l.rail},
                                                  {"@ink", l.ink}};
  for (const auto& [name, colour] : names) css.replace(QString::fromLatin1(name), colour.name());
  return css;
}

QString loadShippedFonts() {
  initIcons();
  QString family;
  for (const std::string_view font : {shipped::fontRegular(), shipped::fontSemiBold(), shipped::fontBold()}) {
    const int id =
        QFontDatabase::addApplicationFontFromData(QByteArray(font.data(), static_cast<qsizetype>(font.size())));
    if (id >= 0 && family.isEmpty()) family = QFontDatabase::applicationFontFamilies(id).value(0);
  }
  return family;
}

} // namespace eup::app
