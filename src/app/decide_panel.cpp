#include "app/decide_panel.h"
#include "app/section_tools.h"
#include "core/design/wing_edit.h"
#include "core/loft/panel_edit.h"
#include "core/measure/length_text.h"
#include <QCheckBox>
#include <QComboBox>
#include <QGridLayout>
#include <QKeyEvent>
#include <QLabel>
#include <QMenu>
#include <QPushButton>
#include <QStyle>
#include <QToolButton>
#include <QVBoxLayout>

namespace eup::app {
namespace {

/// A combo box that does not change by a wheel that was meant for the panel.
class CalmCombo : public QComboBox {
public:
  using QComboBox::QComboBox;
  void wheelEvent(QWheelEvent* event) override { event->ignore(); }
};

QString undoNameOf(const Decision& d) {
  return QObject::tr("%1").arg(QString::fromStdString(d.label));
}

/// A decision's path within its panel, or within its wing.
QString nameWithin(const std::string& path) {
  std::string_view within = withinPanel(path);
  if (within.size() == path.size() && wingOfPath(path))
    within.remove_prefix(path.find('.', std::string("wings.").size()) + 1);
  return QString::fromUtf8(within.data(), static_cast<qsizetype>(within.size()));
}

double nudgeStep(const Decision& d, LengthUnit unit) {
  switch (d.kind) {
  case DecisionKind::length:
    return unit == LengthUnit::inch ? mmPerInch / 32 : 0.5;
  case DecisionKind::angle:
    return 0.1;
  case DecisionKind::percent:
    return 0.005;
  case DecisionKind::mass:
    return 10;
  case DecisionKind::number:
    return 0.1;
  default:
    return 1;
  }
}

} // namespace

DecisionEdit::DecisionEdit(QWidget* parent) : QLineEdit(parent) {
  setAlignment(Qt::AlignRight);
  connect(this, &QLineEdit::returnPressed, this, [this] {
    commit();
    selectAll();
  });
}

void DecisionEdit::show(const QString& text) {
  shown = text;
  setText(text);
}

void DecisionEdit::commit() {
  if (text() != shown) Q_EMIT committed(text());
}

void DecisionEdit::keyPressEvent(QKeyEvent* event) {
  if (event->key() == Qt::Key_Escape) return show(shown), selectAll();
  if (event->key() == Qt::Key_Up) return Q_EMIT nudged(1, event->modifiers());
  if (event->key() == Qt::Key_Down) return Q_EMIT nudged(-1, event->modifiers());
  QLineEdit::keyPressEvent(event);
}

void DecisionEdit::focusOutEvent(QFocusEvent* event) {
  commit();
  QLineEdit::focusOutEvent(event);
}

void DecisionEdit::wheelEvent(QWheelEvent* event) {
  event->ignore();
}

DecidePanel::DecidePanel(Document& d, Standpoint& s, QWidget* parent) : QWidget(parent), document(d), standpoint(s) {
  column = new QVBoxLayout(this);
  column->setContentsMargins(0, 0, 0, 0);
  column->setSpacing(4);
  connect(&document, &Document::changed, this, &DecidePanel::refresh);
  connect(&standpoint, &Standpoint::changed, this, &DecidePanel::refresh);
  refresh();
}

PanelId DecidePanel::here() const {
  return document.panelIdOf(standpoint.rib());
}

std::vector<std::string> DecidePanel::groupsOfStage() const {
  const PanelDesign& panel = document.design().at(here());
  const bool innermost = here().panel == 0;
  std::vector<std::string> spars;
  for (std::size_t i = 0; i < panel.spars.size(); ++i) spars.push_back("Spar " + std::to_string(i + 1));
  std::vector<std::string> out;
  switch (standpoint.stage()) {
  case Stage::plan:
    return {};
  case Stage::sections:
    if (!innermost && panel.panel.continues) return {"Tip section"}; // its root is the tip of the panel inside
    return {"Root section", "Tip section"};
  case Stage::panels:
    out = {"Panel", "Ribs"};
    if (here().panel + 1 == static_cast<int>(document.shownDesign().panels.size())) out.push_back("Tip");
    out.insert(out.end(), {"Wing", "Model"});
    return out;
  case Stage::ribs:
    out = {"Ribs", "Riblets", "Sheeting", "Cap strips", "Leading edge", "Trailing edge"};
    out.insert(out.end(), spars.begin(), spars.end());
    return out;
  case Stage::spars:
    out = spars;
    out.insert(out.end(), {"Stiffening", "Loads"});
    return out;
  case Stage::joins:
    if (innermost && !mirrored(document.shownDesign())) return {"Setting up"}; // a fin's root meets nothing of its own
    return {innermost ? "Centre join" : "Join", "Second brace", "Joiner", "Setting up"};
  }
  return out;
}

void DecidePanel::refresh() {
  const auto groups = groupsOfStage();
  if (groups.empty()) return; // the plan has a panel of its own
  std::string& open = group[standpoint.stage()];
  if (std::find(groups.begin(), groups.end(), open) == groups.end()) {
    open = groups.front();
    if (standpoint.stage() == Stage::sections && standpoint.tipSection() != (open == "Tip section"))
      return standpoint.setTipSection(open == "Tip section"); // comes back here
  }
  std::vector<Decision> shown;
  const PanelId id = here();
  std::string now = (document.design().unit == LengthUnit::inch ? "inch|" : "mm|") + open + "|" +
                    std::to_string(groups.size()) + "|" + name(standpoint.stage()) + "|" + pathOf(id) +
                    std::to_string(document.shownDesign().panels.size()) + "|" +
                    std::to_string(document.design().wings.size());
  for (const Shelf shelf : shelves) // what the choices offer
    for (const Tables::Name& row : document.design().own.namesOn(shelf))
      if (row.key.starts_with(ownKey)) now += "|" + std::string(row.label);
  if (standpoint.stage() == Stage::panels) now += "|" + std::to_string(standpoint.rib()); // where it would be cut
  for (Decision& d : decisionsOf(document.design()))
    if (d.group == open && d.applies && panelOfPath(d.path).value_or(id) == id &&
        wingOfPath(d.path).value_or(id.wing) == id.wing) {
      now += "|" + d.path;
      shown.push_back(std::move(d));
    }
  if (now != shape) {
    shape = now;
    rebuild(shown);
  }
  fill(shown);
}

/// A row of buttons, one a wing, for an aircraft of several.
void DecidePanel::addWingRow(QGridLayout* strip, int row) {
  const auto& wings = document.design().wings;
  if (wings.size() < 2) return;
  auto* line = new QHBoxLayout;
  line->setSpacing(2);
  for (std::size_t i = 0; i < wings.size(); ++i) {
    auto* button = new QToolButton(tabs);
    button->setProperty("tab", true);
    button->setCheckable(true);
    button->setFocusPolicy(Qt::StrongFocus);
    const QString name = QString::fromStdString(wings[i].name);
    button->setText(QFontMetrics(font()).elidedText(name, Qt::ElideRight, wings.size() > 3 ? 66 : 96));
    button->setToolTip(name);
    button->setAccessibleName(tr("Work on the %1").arg(name));
    button->setObjectName(QString("wing %1").arg(i + 1));
    button->setChecked(static_cast<int>(i) == document.shownWing());
    connect(button, &QToolButton::clicked, this, [this, i] {
      standpoint.setRib(1);
      document.showWing(static_cast<int>(i));
      refresh();
    });
    line->addWidget(button);
  }
  line->addStretch();
  strip->addLayout(line, row, 0, 1, 4);
}

/// A row of buttons, one a panel, for a wing of several.
void DecidePanel::addPanelRow(QGridLayout* strip, int row) {
  const WholeWing& wing = document.shown();
  if (wing.panels.size() < 2) return;
  auto* line = new QHBoxLayout;
  line->setSpacing(2);
  for (const TruePanel& p : wing.panels) {
    auto* button = new QToolButton(tabs);
    button->setProperty("tab", true);
    button->setCheckable(true);
    button->setFocusPolicy(Qt::StrongFocus);
    button->setText(wing.panels.size() > 4 ? QString::number(p.design.id.panel + 1)
                                           : tr("Panel %1").arg(p.design.id.panel + 1));
    button->setAccessibleName(tr("Work on panel %1").arg(p.design.id.panel + 1));
    button->setObjectName(QString("panel %1").arg(p.design.id.panel + 1));
    button->setChecked(p.design.id == here());
    connect(button, &QToolButton::clicked, this, [this, rib = p.design.firstRib] { standpoint.setRib(rib); });
    line->addWidget(button);
  }
  line->addStretch();
  strip->addLayout(line, row, 0, 1, 4);
}

void DecidePanel::rebuild(const std::vector<Decision>& shown) {
  // The editor that causes this may be in the middle of its own signal: it goes later, once control is back.
  const QWidget* focusWas = focusWidget();
  std::string focusPath;
  for (const auto& [path, row] : rows)
    if (row.editor == focusWas && focusWas) focusPath = path;
  rows.clear();
  for (QWidget* old : {tabs, form})
    if (old) old->hide(), old->deleteLater();

  tabs = new QWidget(this);
  auto* strip = new QGridLayout(tabs);
  strip->setContentsMargins(0, 0, 0, 0);
  strip->setSpacing(2);
  const auto groups = groupsOfStage();
  for (std::size_t i = 0; i < groups.size() && groups.size() > 1; ++i) {
    auto* tab = new QToolButton(tabs);
    tab->setProperty("tab", true);
    tab->setCheckable(true);
    tab->setFocusPolicy(Qt::StrongFocus);
    tab->setText(QString::fromStdString(groups[i]));
    tab->setObjectName("tab " + tab->text());
    tab->setChecked(groups[i] == group[standpoint.stage()]);
    connect(tab, &QToolButton::clicked, this, [this, name = groups[i]] {
      group[standpoint.stage()] = name;
      if (name.starts_with("Spar ")) standpoint.setSpar(name.back() - '1');
      if (standpoint.stage() == Stage::sections) standpoint.setTipSection(name == "Tip section");
      refresh();
    });
    strip->addWidget(tab, static_cast<int>(i) / 3 + 2, static_cast<int>(i) % 3);
  }
  addWingRow(strip, 0);
  addPanelRow(strip, 1);
  strip->setColumnStretch(3, 1);

  form = new QWidget(this);
  auto* grid = new QGridLayout(form);
  grid->setContentsMargins(0, 0, 0, 0);
  grid->setVerticalSpacing(3);
  grid->setHorizontalSpacing(6);
  grid->setColumnStretch(0, 1);
  int line = 0;
  for (const Decision& d : shown) {
    Row row;
    row.label = new QLabel(QString::fromStdString(d.label), form);
    row.editor = makeEditor(d);
    row.editor->setObjectName(nameWithin(d.path));
    row.editor->setAccessibleName(QString::fromStdString(d.label + (d.unit.empty() ? "" : ", " + d.unit)));
    row.label->setBuddy(row.editor);
    row.problem = new QLabel(form);
    row.problem->setObjectName("problem");
    row.problem->setWordWrap(true);
    row.problem->hide();
    grid->addWidget(row.label, line, 0);
    if (d.unit.empty()) {
      grid->addWidget(row.editor, line, 1, 1, 2);
      grid->addWidget(row.problem, line + 1, 0, 1, 3);
      line += 2;
      rows[d.path] = row;
      continue;
    }
    grid->addWidget(row.editor, line, 1);
    auto* unit = new QLabel(QString::fromStdString(d.unit), form);
    unit->setObjectName("unit");
    unit->setFixedWidth(44);
    grid->addWidget(unit, line++, 2);
    grid->addWidget(row.problem, line++, 0, 1, 3);
    rows[d.path] = row;
  }
  if (standpoint.stage() == Stage::spars || group[standpoint.stage()].starts_with("Spar ")) {
    auto* add = new QPushButton(tr("Add a spar"), form);
    add->setObjectName("addSpar");
    add->setEnabled(static_cast<int>(document.design().at(here()).spars.size()) < mostSpars);
    connect(add, &QPushButton::clicked, this, &DecidePanel::addSpar);
    grid->addWidget(add, line, 0);
    if (group[standpoint.stage()].starts_with("Spar ")) {
      auto* remove = new QPushButton(tr("Take it out"), form);
      remove->setObjectName("removeSpar");
      connect(remove, &QPushButton::clicked, this, &DecidePanel::removeSpar);
      grid->addWidget(remove, line++, 1, 1, 2);
      addSizingTools(grid, line);
      line += 2;
    }
  }
  if (group[standpoint.stage()] == "Stiffening") addStiffeningTools(grid, line++);
  if (group[standpoint.stage()] == "Loads") addTablesTool(grid, line++, tr("Load factors…"), Shelf::loadFactors);
  if (standpoint.stage() == Stage::sections) {
    auto* tools = new SectionTools(document, standpoint, group[Stage::sections] != "Tip section", form);
    connect(tools, &SectionTools::openCoordinates, this, &DecidePanel::openCoordinates);
    connect(tools, &SectionTools::writeSection, this, &DecidePanel::writeSection);
    grid->addWidget(tools, line++, 0, 1, 3);
  }
  if (standpoint.stage() == Stage::panels && group[Stage::panels] == "Panel") addPanelTools(grid, line);
  if (standpoint.stage() == Stage::panels && group[Stage::panels] == "Wing") addWingTools(grid, line);
  column->addWidget(tabs);
  column->addWidget(form);
  if (!focusPath.empty() && rows.contains(focusPath)) rows[focusPath].editor->setFocus();
}

QWidget* DecidePanel::makeEditor(const Decision& d) {
  constexpr int width = 112, wide = width + 50; // wide ones stand over the unit's column too
  const std::string path = d.path;
  if (d.kind == DecisionKind::flag) {
    auto* box = new QCheckBox(form);
    connect(box, &QCheckBox::clicked, this, [this, path](bool on) { type(path, on ? "yes" : "no"); });
    return box;
  }
  if (d.kind == DecisionKind::choice) {
    auto* combo = new CalmCombo(form);
    for (const auto& [key, words] : d.choices)
      combo->addItem(QString::fromStdString(words), QString::fromStdString(key));
    combo->setFixedWidth(wide);
    combo->setFocusPolicy(Qt::StrongFocus);
    connect(combo, &QComboBox::activated, this,
            [this, path, combo](int i) { type(path, combo->itemData(i).toString()); });
    return combo;
  }
  auto* edit = new DecisionEdit(form);
  edit->setFixedWidth(d.unit.empty() ? wide : width);
  connect(edit, &DecisionEdit::committed, this, [this, path](const QString& text) { type(path, text); });
  connect(edit, &DecisionEdit::nudged, this,
          [this, path](int steps, Qt::KeyboardModifiers m) { nudge(path, steps, m); });
  return edit;
}

void DecidePanel::fill(const std::vector<Decision>& shown) {
  for (const Decision& d : shown) {
    const auto found = rows.find(d.path);
    if (found == rows.end()) continue;
    const Row& row = found->second;
    if (auto* edit = qobject_cast<DecisionEdit*>(row.editor)) edit->show(QString::fromStdString(d.text));
    if (auto* combo = qobject_cast<QComboBox*>(row.editor)) combo->setCurrentIndex(static_cast<int>(d.value));
    if (auto* box = qobject_cast<QCheckBox*>(row.editor)) box->setChecked(d.text == "yes");
    row.label->setText(QString::fromStdString(d.label) + (d.follows ? tr("  (follows)") : ""));
    row.label->setObjectName(d.follows ? "small" : "");
    if (!row.problem->isHidden()) say(d.path, {});
  }
}

void DecidePanel::type(const std::string& path, const QString& text) {
  const auto decision = decisionAt(document.design(), path);
  if (!decision) return;
  const auto next = decide(document.design(), path, text.toStdString());
  if (!next) {
    // The old value stays, in the design and in the field; the message quotes what was typed.
    if (auto* edit = qobject_cast<DecisionEdit*>(editorOf(path))) edit->show(QString::fromStdString(decision->text));
    say(path, QString::fromStdString(next.problem().cause));
    return;
  }
  say(path, {});
  document.edit(undoNameOf(*decision), next.value());
  refresh(); // a value typed in other words for the same length is shown in ours
}

void DecidePanel::nudge(const std::string& path, int steps, Qt::KeyboardModifiers modifiers) {
  const auto decision = decisionAt(document.design(), path);
  if (!decision || decision->kind == DecisionKind::text || decision->kind == DecisionKind::stations ||
      decision->kind == DecisionKind::numbers || decision->kind == DecisionKind::shares)
    return;
  const bool whole = decision->kind == DecisionKind::count;
  const double factor = modifiers & Qt::ShiftModifier ? 10 : modifiers & Qt::AltModifier && !whole ? 0.1 : 1;
  const auto next = decideValue(document.design(), path,
                                decision->value + steps * factor * nudgeStep(*decision, document.design().unit));
  if (next) document.edit(undoNameOf(*decision), next.value(), "nudge:" + QString::fromStdString(path));
}

void DecidePanel::say(const std::string& path, const QString& problem) {
  const auto row = rows.find(path);
  if (row == rows.end()) return;
  row->second.problem->setText(problem);
  row->second.problem->setVisible(!problem.isEmpty());
  row->second.editor->setProperty("wrong", !problem.isEmpty());
  row->second.editor->style()->polish(row->second.editor);
}

QWidget* DecidePanel::editorOf(const std::string& path) const {
  const auto row = rows.find(path);
  return row == rows.end() ? nullptr : row->second.editor;
}

void DecidePanel::focusDecision(const std::string& path) {
  const auto decision = decisionAt(document.design(), path);
  if (!decision) return;
  if (const auto wing = wingOfPath(path); wing && *wing != document.shownWing()) {
    standpoint.setRib(1);
    document.showWing(*wing);
  }
  if (const auto panel = panelOfPath(path); panel && !(*panel == here()))
    standpoint.setRib(document.wing().at(*panel).design.firstRib);
  auto groups = groupsOfStage();
  if (std::find(groups.begin(), groups.end(), decision->group) == groups.end()) standpoint.setStage(decision->stage);
  group[standpoint.stage()] = decision->group;
  if (standpoint.stage() == Stage::sections) standpoint.setTipSection(decision->group == "Tip section");
  refresh();
  if (QWidget* editor = editorOf(path)) {
    editor->setFocus(Qt::OtherFocusReason);
    if (auto* edit = qobject_cast<QLineEdit*>(editor)) edit->selectAll();
  }
}

} // namespace eup::app
