#include "app/follows_panel.h"
#include "core/design/decisions.h"
#include <QKeyEvent>
#include <QLabel>
#include <QMouseEvent>
#include <QPushButton>
#include <QTimer>
#include <QVBoxLayout>

namespace eup::app {
namespace {

constexpr int flashMs = 4000;

/// "rib.5.chord" → "rib.*.chord": a figure that was opened stays open when another rib is looked at.
std::string kindOf(std::string key) {
  if (key.starts_with("panel") && key.size() > 6 && std::isdigit(static_cast<unsigned char>(key[5])))
    key.erase(0, key.find('.') + 1); // panel2.brace.bend: the same row for every panel
  for (const std::string head : {"rib.", "setup."})
    if (key.starts_with(head)) return head + "*" + key.substr(std::min(key.find('.', head.size()), key.size()));
  return key;
}

QLabel* label(QWidget* parent, const char* name) {
  auto* l = new QLabel(parent);
  l->setObjectName(name);
  l->setWordWrap(true);
  return l;
}

} // namespace

FigureRow::FigureRow(const Figure& f, LengthUnit u, std::function<QString(const std::string&)> names, QWidget* parent)
    : QFrame(parent), figure(f), unit(u), nameOf(std::move(names)) {
  setFocusPolicy(Qt::StrongFocus);
  setCursor(Qt::PointingHandCursor);
  setObjectName("figure");
  auto* column = new QVBoxLayout(this);
  column->setContentsMargins(2, 3, 2, 3);
  column->setSpacing(0);
  auto* line = new QHBoxLayout;
  line->setSpacing(4);
  label = new QLabel(this);
  label->setWordWrap(true);
  delta = new QLabel(this);
  delta->setObjectName("delta");
  number = new QLabel(this);
  number->setObjectName("number");
  unitLabel = new QLabel(this);
  unitLabel->setObjectName("unit");
  unitLabel->setFixedWidth(38);
  line->addWidget(label, 1);
  line->addWidget(delta);
  line->addWidget(number);
  line->addWidget(unitLabel);
  where = eup::app::label(this, "small");
  // Once: setting a style makes Qt look the whole sheet through again.
  number->setStyleSheet(f.bench ? "font-size: 17px; font-weight: 700;" : "font-size: 13px; font-weight: 600;");
  column->addLayout(line);
  column->addWidget(where);
  show(f, u, {});
}

void FigureRow::show(const Figure& f, LengthUnit u, const QString& moved) {
  const bool same = f.working == figure.working && f.rule == figure.rule && f.key == figure.key && u == unit;
  figure = f;
  unit = u;
  const Shown s = shown(f, u);
  label->setText(QString::fromStdString(f.label));
  number->setText(QString::fromStdString(s.number));
  unitLabel->setText(QString::fromStdString(s.unit));
  where->setText(QString::fromStdString(f.where));
  where->setVisible(!f.where.empty());
  delta->setText(moved);
  delta->setVisible(!moved.isEmpty());
  setAccessibleName(QString("%1: %2 %3, %4").arg(label->text(), number->text(), unitLabel->text(), where->text()));
  setToolTip(isOpen() ? QString() : tr("Open to see how it was found"));
  if (isOpen() && !same) {
    setOpen(false);
    setOpen(true);
  }
}

void FigureRow::setOpen(bool open) {
  if (open == isOpen()) return;
  if (open) return buildWorking();
  working->hide();
  working->deleteLater();
  working = nullptr;
}

void FigureRow::buildWorking() {
  working = new QFrame(this);
  working->setObjectName("working");
  auto* column = new QVBoxLayout(working);
  column->setContentsMargins(8, 6, 8, 6);
  column->setSpacing(3);
  const auto add = [&](const std::string& text, const char* name, const char* style) {
    if (text.empty()) return;
    auto* l = eup::app::label(working, name);
    l->setText(QString::fromStdString(text));
    l->setStyleSheet(style);
    l->setTextInteractionFlags(Qt::TextSelectableByMouse);
    column->addWidget(l);
  };
  add(figure.rule, "rule", "");
  add(figure.working, "workingText", "font-weight: 700;");
  add(figure.source, "small", "font-style: italic;");
  for (const std::string& path : figure.decisions) {
    auto* link = new QPushButton(tr("follows from: %1").arg(nameOf(path)), working);
    link->setObjectName("link " + QString::fromStdString(path));
    link->setStyleSheet("text-align: left; border: none; background: transparent; padding: 1px; text-decoration: "
                        "underline; font-size: 11px;");
    link->setCursor(Qt::PointingHandCursor);
    connect(link, &QPushButton::clicked, this, [this, path] { Q_EMIT wanted(QString::fromStdString(path)); });
    column->addWidget(link);
  }
  static_cast<QVBoxLayout*>(layout())->addWidget(working);
  working->show();
}

void FigureRow::mouseReleaseEvent(QMouseEvent* event) {
  if (event->button() != Qt::LeftButton) return;
  setOpen(!isOpen());
  Q_EMIT toggled(isOpen());
}

void FigureRow::keyPressEvent(QKeyEvent* event) {
  if (event->key() == Qt::Key_Return || event->key() == Qt::Key_Enter || event->key() == Qt::Key_Space) {
    setOpen(!isOpen());
    Q_EMIT toggled(isOpen());
    return;
  }
  QFrame::keyPressEvent(event);
}

FollowsPanel::FollowsPanel(Document& d, Standpoint& s, QWidget* parent) : QWidget(parent), document(d), standpoint(s) {
  auto* column = new QVBoxLayout(this);
  column->setContentsMargins(0, 0, 0, 0);
  column->setSpacing(6);
  findingsColumn = new QVBoxLayout;
  figuresColumn = new QVBoxLayout;
  figuresColumn->setSpacing(0);
  heading = new QLabel(this);
  heading->setObjectName("heading");
  column->addLayout(findingsColumn);
  column->addWidget(heading);
  column->addLayout(figuresColumn);
  column->addStretch();
  connect(&document, &Document::replaced, this,
          [this] { before.clear(), moved.clear(); }); // another wing has not moved
  connect(&document, &Document::changed, this, &FollowsPanel::refresh);
  connect(&standpoint, &Standpoint::changed, this, &FollowsPanel::refresh);
  refresh();
}

std::vector<const Figure*> FollowsPanel::shownFigures() const {
  std::vector<const Figure*> out;
  const int rib = std::clamp(standpoint.rib(), 1, document.shown().ribCount());
  const int panel = document.panelOfRib(rib).design.id.panel;
  for (const Figure& f : document.wing().figures)
    if (f.stage == standpoint.stage() && (f.stage == Stage::plan || f.wing == document.shownWing()) &&
        (!f.rib || *f.rib == rib) && (!f.panel || *f.panel == panel))
      out.push_back(&f);
  return out;
}

void FollowsPanel::rebuildFindings() {
  std::vector<Finding> now;
  for (const Finding& f : document.findings()) // judgements stand on the plan's own page, to be taken or left
    if (f.stage == standpoint.stage() && f.key != "plan.judgement") now.push_back(f);
  if (findingsShown && now == shownFindings && findingsStage == standpoint.stage()) return;
  findingsShown = true;
  shownFindings = now;
  findingsStage = standpoint.stage();
  while (QLayoutItem* item = findingsColumn->takeAt(0)) {
    if (item->widget()) item->widget()->hide(), item->widget()->deleteLater();
    delete item;
  }
  for (const Finding& f : now) {
    auto* card = new QFrame(this);
    card->setObjectName("card");
    card->setProperty("severity", f.severity == Severity::note ? "note" : "wrong");
    auto* inside = new QVBoxLayout(card);
    inside->setContentsMargins(10, 7, 10, 7);
    inside->setSpacing(2);
    auto* title = eup::app::label(card, "cardTitle");
    title->setProperty("severity", f.severity == Severity::note ? "note" : "wrong");
    title->setText((f.severity == Severity::note ? "• " : "▲ ") + QString::fromStdString(f.what));
    inside->addWidget(title);
    for (const std::string& text : {f.detail, f.remedy})
      if (!text.empty()) {
        auto* l = eup::app::label(card, "cardText");
        l->setText(QString::fromStdString(text));
        inside->addWidget(l);
      }
    auto* buttons = new QHBoxLayout;
    buttons->setSpacing(4);
    if (!f.decisions.empty()) {
      auto* go = new QPushButton(tr("Go to the decision"), card);
      connect(go, &QPushButton::clicked, this,
              [this, path = f.decisions.front()] { Q_EMIT wanted(QString::fromStdString(path)); });
      buttons->addWidget(go);
    }
    if (f.rib) {
      auto* go = new QPushButton(tr("Show R%1").arg(*f.rib), card);
      connect(go, &QPushButton::clicked, this, [this, rib = *f.rib, wing = f.wing] {
        document.showWing(wing);
        standpoint.setRib(rib);
      });
      buttons->addWidget(go);
    }
    buttons->addStretch();
    inside->addLayout(buttons);
    findingsColumn->addWidget(card);
  }
}

void FollowsPanel::refresh() {
  rebuildFindings();
  const LengthUnit unit = document.design().unit;
  const auto figures = shownFigures();
  std::string now = std::to_string(static_cast<int>(standpoint.stage()));
  bool ofRib = false;
  for (const Figure* f : figures) now += "|" + kindOf(f->key), ofRib = ofRib || f->rib;
  heading->setText(ofRib ? tr("FOLLOWS, AT R%1 · open a figure to see its working")
                               .arg(std::clamp(standpoint.rib(), 1, document.shown().ribCount()))
                         : tr("FOLLOWS · open a figure to see its working"));

  // What moved by this change, for figures that were there before.
  std::map<std::string, double> values;
  bool any = false;
  for (const Figure& f : document.wing().figures) {
    values[f.key] = f.value;
    const auto old = before.find(f.key);
    if (old == before.end() || std::abs(old->second - f.value) < 1e-9 * std::max(1.0, std::abs(f.value))) continue;
    const Shown full = shown(f.value, f.quantity, unit), by = shown(std::abs(f.value - old->second), f.quantity, unit);
    moved[f.key] = (f.value > old->second ? "▲ " : "▼ ") +
                   QString::fromStdString(by.unit == full.unit ? by.number : by.number + " " + by.unit);
    any = true;
  }
  before = std::move(values);
  if (any)
    QTimer::singleShot(flashMs, this, [this, gone = moved] {
      for (const auto& [key, words] : gone)
        if (const auto it = moved.find(key); it != moved.end() && it->second == words) moved.erase(it);
      refresh();
    });

  if (now != shape) {
    shape = now;
    rows.clear();
    while (QLayoutItem* item = figuresColumn->takeAt(0)) {
      if (item->widget()) item->widget()->hide(), item->widget()->deleteLater();
      delete item;
    }
    for (const Figure* f : figures) {
      auto* row = new FigureRow(
          *f, unit,
          [this](const std::string& path) {
            const auto decision = decisionAt(document.design(), path);
            return QString::fromStdString(decision ? decision->group + ", " + decision->label : path);
          },
          this);
      const std::string kind = kindOf(f->key);
      connect(row, &FigureRow::toggled, this,
              [this, kind](bool isOpen) { isOpen ? (void)open.insert(kind) : (void)open.erase(kind); });
      connect(row, &FigureRow::wanted, this, &FollowsPanel::wanted);
      row->setOpen(open.contains(kind));
      figuresColumn->addWidget(row);
      rows[kind] = row;
    }
  }
  for (const Figure* f : figures)
    if (const auto row = rows.find(kindOf(f->key)); row != rows.end())
      row->second->show(*f, unit, moved.contains(f->key) ? moved[f->key] : QString());
}

FigureRow* FollowsPanel::rowOf(const std::string& key) const {
  const auto row = rows.find(kindOf(key));
  return row == rows.end() ? nullptr : row->second;
}

FigureRow* FollowsPanel::reveal(const std::string& key) {
  const Figure* f = document.wing().figure(key);
  if (!f) return nullptr;
  const Stage stage = f->stage;
  if (stage != Stage::plan && f->wing != document.shownWing()) document.showWing(f->wing);
  if (f->rib)
    standpoint.setRib(*f->rib);
  else if (f->panel && *f->panel != document.panelOfRib(standpoint.rib()).design.id.panel)
    standpoint.setRib(document.wing().at({f->wing, *f->panel}).design.firstRib);
  standpoint.setStage(stage);
  open.insert(kindOf(key));
  FigureRow* row = rowOf(key);
  if (row) row->setOpen(true), row->setFocus(), Q_EMIT revealed(row);
  return row;
}

} // namespace eup::app
