#include "app/decide/decide_panel.h"
#include "app/decide/section_tools.h"
#include "app/state/watch.h"
#include "core/edit/panel_edit.h"
#include "core/edit/wing_edit.h"
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

/// A part of a spar is named with it: “Width” alone could be anything's.
QString undoNameOf(const Design& design, const Decision& d) {
  return QString::fromStdString(isPartOfSpar(d.subject.topic) ? nameOf(design, d) : d.label);
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
  column->setSpacing(6);
  heading = new QLabel(this);
  heading->setObjectName("heading");
  column->addWidget(heading);
  // What is still being typed belongs to the design before.
  connect(&document, &Document::replaced, this, [this] {
    deafen();
    shape.clear(); // and new ones are built for what comes
  });
  new Watch(this, document, standpoint, [this](Changes what) { refresh(what); });
  refresh(everything);
}

std::vector<const Decision*> DecidePanel::shownDecisions() const {
  const PanelId id = here();
  const Subject subject = standpoint.subject();
  std::vector<const Decision*> out;
  if (subject.topic == Topic::none) return out; // the plan has a panel of its own
  for (const Decision& d : document.decisions())
    if (d.subject == subject && d.applies && panelOfPath(d.path).value_or(id) == id &&
        wingOfPath(d.path).value_or(id.wing) == id.wing)
      out.push_back(&d);
  return out;
}

void DecidePanel::refresh(Changes what) {
  if (!(what & (Aspect::design | Aspect::stage | Aspect::place | Aspect::subject | Aspect::wing))) return;
  if (what & (Aspect::stage | Aspect::place | Aspect::subject)) settle();
  const Subject subject = standpoint.subject();
  const auto shown = shownDecisions();
  const PanelId id = here();
  const PanelDesign& panel = document.design().at(id);
  heading->setText(subject.topic == Topic::none && standpoint.stage() != Stage::plan
                       ? tr("DECIDE · nothing here for a panel of sheet")
                       : tr("DECIDE · %1").arg(QString::fromStdString(fullTitleOf(subject, document.design(), id))));
  // What the rows and buttons are built for.
  std::string now = subject.key() + pathOf(id) + (document.design().unit == LengthUnit::inch ? "inch" : "mm") +
                    (document.possible() ? "|" : "|impossible|");
  for (const Shelf shelf : shelves) // what the choices offer
    for (const Tables::Name& row : document.design().own.namesOn(shelf))
      if (row.key.starts_with(ownKey)) now += "|" + std::string(row.label);
  if (subject.topic == Topic::panel || subject.topic == Topic::wing) { // where it would be cut, where it is copied to
    now += "|" + std::to_string(standpoint.rib()) + "|" + std::to_string(wingHere().panels.size());
    for (const Wing& w : document.design().wings) now += "|" + w.name;
  }
  if (subject.topic == Topic::spar || isPartOfSpar(subject.topic)) now += "|" + std::to_string(panel.spars.size());
  if (subject.topic == Topic::join || subject.topic == Topic::brace)
    now += "|" + std::to_string(panel.join.braces.size());
  if (subject.topic == Topic::inCore) now += "|" + std::to_string(panel.inCore.size());
  if (stageOf(subject.topic) == Stage::surfaces)
    now += "|" + std::to_string(panel.surfaces.size() + 100 * panel.runs.size() + 10000 * panel.hardPoints.size());
  if (subject.topic == Topic::sheeting || subject.topic == Topic::sheeted)
    now += "|" + std::to_string(panel.sheeted.size());
  if (subject.topic == Topic::strut) now += "|" + std::to_string(wingHere().struts.size());
  const bool holds = subject.topic == Topic::holds && document.possible();
  if (holds)
    for (const Hold& h : document.wing().at(id).holds) now += "|" + h.key;
  for (const Decision* d : shown) now += "|" + d->path + (d->extra && !d->extra->in ? "+" : "");
  if (now != shape) {
    shape = now;
    rebuild(shown);
  }
  if (holds)
    for (const Hold& h : document.wing().at(id).holds)
      if (auto* box = form->findChild<QCheckBox*>(QString::fromStdString("looked." + h.key))) box->setChecked(h.looked);
  fill(shown);
}

void DecidePanel::settle() {
  for (const auto& [path, row] : rows)
    if (auto* edit = qobject_cast<DecisionEdit*>(row.editor); edit && edit->hasFocus())
      return edit->commit(); // a change of the design, and with it perhaps of the rows
}

void DecidePanel::deafen() {
  for (const auto& [path, row] : rows)
    if (auto* edit = qobject_cast<DecisionEdit*>(row.editor)) edit->blockSignals(true);
}

void DecidePanel::rebuild(const std::vector<const Decision*>& shown) {
  // The editor that causes this may be in the middle of its own signal: it goes later, once control is back.
  const QWidget* focusWas = focusWidget();
  std::string focusPath;
  for (const auto& [path, row] : rows)
    if (row.editor == focusWas && focusWas) focusPath = path;
  const bool focused = focusWas && focusWas->hasFocus();
  deafen(); // hidden, a field that is typed in would be taken at its word in the middle of this
  rows.clear();
  if (form) form->hide(), form->deleteLater();
  form = new QWidget(this);
  auto* grid = new QGridLayout(form);
  grid->setContentsMargins(0, 0, 0, 0);
  grid->setVerticalSpacing(3);
  grid->setHorizontalSpacing(6);
  grid->setColumnStretch(0, 1);
  int line = 0;
  std::vector<const Decision*> off;
  for (const Decision* d : shown) {
    if (d->extra && !d->extra->in)
      off.push_back(d);
    else
      addRow(grid, line, *d);
  }
  addExtras(grid, line, off);
  addTools(grid, line);
  column->addWidget(form);
  if (!focusPath.empty() && rows.contains(focusPath))
    rows[focusPath].editor->setFocus();
  else if (focused) // what had it is gone: the keyboard stays in the form
    if (QWidget* first = form->nextInFocusChain()) first->setFocus(Qt::OtherFocusReason);
}

void DecidePanel::addRow(QGridLayout* grid, int& line, const Decision& d) {
  Row row;
  row.label = new QLabel(QString::fromStdString(d.label), form);
  row.problem = new QLabel(form);
  row.problem->setObjectName("problem");
  row.problem->setWordWrap(true);
  row.problem->hide();
  grid->addWidget(row.label, line, 0);
  const bool onlyIn = d.extra && d.kind == DecisionKind::flag;
  QToolButton* out = nullptr;
  if (d.extra) {
    const QString words = QString::fromStdString(d.extra->words);
    out = new QToolButton(form);
    out->setText(onlyIn ? tr("Take out") : "×");
    out->setProperty("quiet", true);
    out->setFocusPolicy(Qt::StrongFocus);
    out->setObjectName("out " + nameWithin(d.path));
    out->setAccessibleName(tr("Take out: %1").arg(words));
    out->setToolTip(tr("Take out: %1").arg(words));
    connect(out, &QToolButton::clicked, this,
            [this, path = d.path, off = QString::fromStdString(d.extra->off)] { type(path, off); });
  }
  if (onlyIn) {
    row.editor = out;
    grid->addWidget(out, line, 1, 1, 2, Qt::AlignRight);
  } else {
    row.editor = makeEditor(d);
    row.editor->setObjectName(nameWithin(d.path));
    row.editor->setAccessibleName(QString::fromStdString(d.label + (d.unit.empty() ? "" : ", " + d.unit)));
    row.label->setBuddy(row.editor);
    const bool aside = out || !d.unit.empty();
    grid->addWidget(row.editor, line, 1, 1, aside ? 1 : 2);
    if (aside) {
      auto* beside = new QHBoxLayout;
      beside->setSpacing(2);
      auto* unit = new QLabel(QString::fromStdString(d.unit), form);
      unit->setObjectName("unit");
      unit->setFixedWidth(out ? 24 : 44);
      beside->addWidget(unit);
      if (out) beside->addWidget(out);
      grid->addLayout(beside, line, 2);
    }
  }
  grid->addWidget(row.problem, line + 1, 0, 1, 3);
  line += 2;
  rows[d.path] = row;
}

/// What can be put in, in as many lines as it takes.
void DecidePanel::addExtras(QGridLayout* grid, int& line, const std::vector<const Decision*>& off) {
  if (off.empty()) return;
  constexpr int room = 318;
  QHBoxLayout* across = nullptr;
  int used = 0;
  for (const Decision* d : off) {
    auto* add = new QToolButton(form);
    const QString words = QString::fromStdString(d->extra->words);
    add->setText("+ " + words);
    add->setProperty("extra", true);
    add->setFocusPolicy(Qt::StrongFocus);
    add->setObjectName("add " + nameWithin(d->path));
    add->setAccessibleName(tr("Put in: %1").arg(words));
    connect(add, &QToolButton::clicked, this, [this, path = d->path, on = QString::fromStdString(d->extra->on)] {
      type(path, on);
      if (QWidget* editor = editorOf(path); editor && !qobject_cast<QToolButton*>(editor)) editor->setFocus();
    });
    const int wide = add->sizeHint().width() + 4;
    if (!across || used + wide > room) {
      if (across) across->addStretch();
      across = new QHBoxLayout;
      across->setSpacing(4);
      grid->addLayout(across, line++, 0, 1, 3);
      used = 0;
    }
    used += wide;
    across->addWidget(add);
    Row row;
    row.problem = new QLabel(form);
    row.problem->setObjectName("problem");
    row.problem->setWordWrap(true);
    row.problem->hide();
    row.editor = add;
    rows[d->path] = row;
  }
  across->addStretch();
  for (const Decision* d : off) grid->addWidget(rows[d->path].problem, line++, 0, 1, 3);
}

void DecidePanel::addTools(QGridLayout* grid, int& line) {
  switch (const Subject s = standpoint.subject(); s.topic) {
  case Topic::rootSection:
  case Topic::tipSection: {
    auto* tools = new SectionTools(document, standpoint, s.topic == Topic::rootSection, form);
    connect(tools, &SectionTools::openCoordinates, this, &DecidePanel::openCoordinates);
    connect(tools, &SectionTools::writeSection, this, &DecidePanel::writeSection);
    grid->addWidget(tools, line++, 0, 1, 3);
    return;
  }
  case Topic::panel:
    return addPanelTools(grid, line);
  case Topic::wing:
    return addWingTools(grid, line);
  case Topic::spar:
  case Topic::topCap:
  case Topic::bottomCap:
  case Topic::webs:
    return addSparTools(grid, line);
  case Topic::join:
  case Topic::brace:
    addBraceTools(grid, line++);
    [[fallthrough]];
  case Topic::settingUp: // the wing, from its parts
    return addAskingTool(grid, line, tr("Put together on trial…"), "tryTogether", Built::ribs,
                         &DecidePanel::tryTogether);
  case Topic::machine: // for the core that is on the board
    addAskingTool(grid, line++, tr("Write the machine's path…"), "writeWire", Built::foam, &DecidePanel::writeWire);
    [[fallthrough]];
  case Topic::foam:
    return addAskingTool(grid, line, tr("Watch it cut…"), "watchCut", Built::foam, &DecidePanel::watchCut);
  case Topic::wire:
    return addTestCutTool(grid, line);
  case Topic::inCore:
    return addCoreTools(grid, line);
  case Topic::surfaceDrive:
    addTablesTool(grid, line++, tr("Servos…"), Shelf::servo);
    [[fallthrough]];
  case Topic::surface:
  case Topic::surfaceTravel:
  case Topic::surfaceMake:
  case Topic::surfaceHinges:
  case Topic::surfaceSlide:
    return addSurfaceTools(grid, line);
  case Topic::run:
    return addRunTools(grid, line);
  case Topic::hardPoint:
    return addHardPointTools(grid, line);
  case Topic::sheeting:
  case Topic::sheetingBelow:
  case Topic::sheeted:
    return addSheetTools(grid, line);
  case Topic::holds:
    return addHoldTools(grid, line);
  case Topic::strut:
    return addStrutTools(grid, line);
  case Topic::balance:
  case Topic::aboard:
    return addAboardTools(grid, line);
  case Topic::stiffening:
    addStiffeningTools(grid, line);
    if (document.design().at(here()).spars.empty()) addSparTools(grid, line + 1);
    return;
  case Topic::loads:
    return addTablesTool(grid, line++, tr("Load factors…"), Shelf::loadFactors);
  default:
    return;
  }
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

void DecidePanel::fill(const std::vector<const Decision*>& shown) {
  for (const Decision* d : shown) {
    const auto found = rows.find(d->path);
    if (found == rows.end()) continue;
    const Row& row = found->second;
    if (auto* edit = qobject_cast<DecisionEdit*>(row.editor)) edit->show(QString::fromStdString(d->text));
    if (auto* combo = qobject_cast<QComboBox*>(row.editor)) combo->setCurrentIndex(static_cast<int>(d->value));
    if (auto* box = qobject_cast<QCheckBox*>(row.editor)) box->setChecked(d->text == "yes");
    if (row.label) {
      row.label->setText(QString::fromStdString(d->label) + (d->follows ? tr("  (follows)") : ""));
      row.label->setObjectName(d->follows ? "small" : "");
    }
    if (!row.problem->isHidden()) say(d->path, {});
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
  document.edit(undoNameOf(document.design(), *decision), next.value());
  fill(shownDecisions()); // a value typed in other words for the same length is shown in ours
}

void DecidePanel::nudge(const std::string& path, int steps, Qt::KeyboardModifiers modifiers) {
  const auto decision = decisionAt(document.design(), path);
  if (!decision || decision->kind == DecisionKind::text || decision->kind == DecisionKind::stations ||
      decision->kind == DecisionKind::numbers || decision->kind == DecisionKind::shares ||
      decision->kind == DecisionKind::outline)
    return;
  const bool whole = decision->kind == DecisionKind::count;
  const double factor = modifiers & Qt::ShiftModifier ? 10 : modifiers & Qt::AltModifier && !whole ? 0.1 : 1;
  const auto next = decideValue(document.design(), path,
                                decision->value + steps * factor * nudgeStep(*decision, document.design().unit));
  if (next)
    document.edit(undoNameOf(document.design(), *decision), next.value(), "nudge:" + QString::fromStdString(path));
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
  if (const auto panel = panelOfPath(path))
    standpoint.setPanel(*panel);
  else if (const auto wing = wingOfPath(path); wing && *wing != here().wing)
    standpoint.setWing(*wing);
  if (decision->subject.topic != Topic::none)
    standpoint.choose(decision->subject);
  else
    standpoint.setStage(decision->stage);
  if (QWidget* editor = editorOf(path)) {
    editor->setFocus(Qt::OtherFocusReason);
    if (auto* edit = qobject_cast<QLineEdit*>(editor)) edit->selectAll();
  }
}

} // namespace eup::app
