#include "app/frame/follows_panel.h"
#include "app/frame/headline_tile.h"
#include "core/report/headlines.h"
#include "core/report/told.h"
#include <QKeyEvent>
#include <QLabel>
#include <QListView>
#include <QScrollBar>
#include <QTimer>
#include <QVBoxLayout>

namespace eup::app {
namespace {

constexpr int flashMs = 4000;
constexpr std::size_t mostHeadlines = 4;

/// A finding is known by what it is and where.
std::string idOf(const Finding& f) {
  return "finding " + f.key + " " + std::to_string(f.wing) + "." + std::to_string(f.panel.value_or(-1)) + "." +
         std::to_string(f.rib.value_or(0)) + " " + f.what;
}

QString worded(const std::string& text) {
  return QString::fromStdString(text);
}

} // namespace

FollowsPanel::FollowsPanel(Document& d, Standpoint& s, const Look& l, QWidget* parent)
    : QWidget(parent), document(d), standpoint(s), look(l) {
  auto* column = new QVBoxLayout(this);
  column->setContentsMargins(0, 0, 0, 0);
  column->setSpacing(6);
  heading = new QLabel(this);
  heading->setObjectName("heading");
  column->addWidget(heading);
  auto* grid = new QGridLayout;
  grid->setSpacing(6);
  for (std::size_t i = 0; i < mostHeadlines; ++i) {
    auto* tile = new HeadlineTile(look, this);
    tile->setObjectName(QString("headline %1").arg(i + 1));
    connect(tile, &QAbstractButton::clicked, this, [this, tile] {
      const std::string kind = tile->words().kind;
      setOpen(kind, !isOpen(kind));
    });
    tiles.push_back(tile);
    grid->addWidget(tile, static_cast<int>(i) / 2, static_cast<int>(i) % 2);
  }
  column->addLayout(grid);
  rows = new FollowsList(this);
  list = new QListView(this);
  list->setObjectName("follows");
  list->setAccessibleName(tr("What follows: findings and figures. Enter opens one"));
  list->setFrameShape(QFrame::NoFrame);
  list->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
  list->setVerticalScrollMode(QAbstractItemView::ScrollPerPixel);
  list->setSelectionMode(QAbstractItemView::NoSelection);
  list->setEditTriggers(QAbstractItemView::NoEditTriggers);
  list->setResizeMode(QListView::Adjust);
  list->setMinimumHeight(120);
  list->setModel(rows);
  list->setItemDelegate(new FollowsDelegate(look, list));
  list->viewport()->setCursor(Qt::PointingHandCursor);
  list->installEventFilter(this);
  connect(list, &QListView::clicked, this, &FollowsPanel::act);
  column->addWidget(list, 1);
  connect(&document, &Document::replaced, this,
          [this] { before.clear(), moved.clear(); }); // another wing has not moved
  new Watch(this, document, standpoint, [this](Changes what) { refresh(what); });
  noteMoves();
  refresh(everything);
}

/// Plan, stock and what was read are of both hands; what else follows is of the hand on the board.
const TrueWing& FollowsPanel::model() const {
  const bool both =
      standpoint.stage() == Stage::plan || standpoint.stage() == Stage::stock || standpoint.stage() == Stage::build;
  return both ? document.wing() : standpoint.shownModel();
}

std::vector<const Figure*> FollowsPanel::shownFigures() const {
  std::vector<const Figure*> out;
  if (!document.hasWing()) return out;
  const TruePanel& here = standpoint.shownPanel();
  const int rib = standpoint.shownRib().number;
  for (const Figure& f : figuresOf(model(), standpoint.stage()))
    if ((f.stage == Stage::plan || f.wing == here.design.id.wing) && (!f.rib || *f.rib == rib) &&
        (!f.panel || *f.panel == here.design.id.panel))
      out.push_back(&f);
  return out;
}

/// What moved by this change, of figures that were there before.
void FollowsPanel::noteMoves() {
  if (!document.hasWing()) return;
  std::map<std::string, double> values;
  bool any = false;
  for (const Figure& f : figuresOf(model(), standpoint.stage())) {
    values[f.key] = f.value;
    const auto old = before.find(f.key);
    if (old == before.end() || std::abs(old->second - f.value) < 1e-9 * std::max(1.0, std::abs(f.value))) continue;
    const LengthUnit unit = document.design().unit;
    const Shown full = shown(f.value, f.quantity, unit), by = shown(std::abs(f.value - old->second), f.quantity, unit);
    moved[f.key] =
        (f.value > old->second ? "▲ " : "▼ ") + worded(by.unit == full.unit ? by.number : by.number + " " + by.unit);
    any = true;
  }
  before = std::move(values);
  if (any)
    QTimer::singleShot(flashMs, this, [this, gone = moved] {
      for (const auto& [key, words] : gone)
        if (const auto it = moved.find(key); it != moved.end() && it->second == words) moved.erase(it);
      refresh(Aspect::wing);
    });
}

QString FollowsPanel::nameOf(const std::string& path) const {
  for (const Decision& d : document.decisions())
    if (d.path == path) return worded(eup::nameOf(document.design(), d));
  return worded(path);
}

void FollowsPanel::showHeadlines(const std::vector<const Figure*>& figures) {
  std::vector<HeadlineTile::Words> told;
  large.clear();
  for (const std::string& kind : headlinesOf(standpoint.stage(), standpoint.subject())) {
    if (told.size() >= mostHeadlines) break;
    for (const Figure* f : figures) {
      if (kindOf(f->key) != kind) continue;
      const Shown s = shown(*f, document.design().unit);
      told.push_back({kind, worded(f->label), worded(s.number), worded(s.unit),
                      moved.contains(f->key) ? moved[f->key] : QString(), open.contains(kind)});
      large.insert(kind);
      break;
    }
  }
  for (std::size_t i = 0; i < tiles.size(); ++i) {
    tiles[i]->setVisible(i < told.size());
    if (i < told.size()) tiles[i]->show(told[i]);
  }
}

void FollowsPanel::refresh(Changes what) {
  if (what & (Aspect::wing | Aspect::design)) noteMoves();
  if (const bool left = document.hasWing() && &model() != &document.wing(); left != ofLeft) { // of another hand
    ofLeft = left;
    noteMoves();
    moved.clear();
  }
  if (what & Aspect::stage) {
    noteMoves();
    moved.clear();
  }
  const auto figures = shownFigures();
  bool ofRib = false;
  for (const Figure* f : figures) ofRib = ofRib || f->rib;
  heading->setText(!document.hasWing()    ? tr("FOLLOWS · nothing yet: cure what is wrong first")
                   : !document.possible() ? tr("FOLLOWS · of the last wing that could be built")
                                          : (ofRib ? tr("FOLLOWS, AT %1 · open a figure to see its working")
                                                         .arg(QString::fromStdString(standpoint.shownRib().name()))
                                                   : tr("FOLLOWS · open a figure to see its working")));
  showHeadlines(figures);

  std::vector<FollowsRow> next;
  for (const Finding& f : document.findings()) { // judgements stand on the plan's own page, to be taken or left
    if (f.stage != standpoint.stage() || f.key == "plan.judgement") continue;
    FollowsRow row;
    row.kind = FollowsRow::Kind::finding;
    row.id = idOf(f);
    row.wrong = f.severity != Severity::note;
    row.open = open.contains(row.id);
    row.text = (row.wrong ? "▲ " : "• ") + worded(f.what);
    next.push_back(row);
    if (!row.open) continue;
    const auto under = [&](FollowsRow::Kind kind, const QString& text) {
      FollowsRow one;
      one.kind = kind;
      one.id = row.id + "/" + std::to_string(next.size());
      one.text = text;
      one.under = true;
      one.wrong = row.wrong;
      next.push_back(one);
    };
    for (const std::string& text : {f.detail, f.remedy})
      if (!text.empty()) under(FollowsRow::Kind::words, worded(text));
    if (!f.decisions.empty()) {
      under(FollowsRow::Kind::link, tr("Go to the decision: %1").arg(nameOf(f.decisions.front())));
      next.back().decision = f.decisions.front();
    }
    if (f.rib) {
      under(FollowsRow::Kind::link, tr("Show R%1").arg(*f.rib));
      next.back().rib = f.rib;
      next.back().place = {f.wing, f.panel.value_or(0)};
    }
  }
  for (const Figure* f : figures) {
    const std::string kind = kindOf(f->key);
    if (large.contains(kind) && !open.contains(kind)) continue;
    const Shown s = shown(*f, document.design().unit);
    FollowsRow row;
    row.id = kind;
    row.text = worded(f->label);
    row.number = worded(s.number);
    row.unit = worded(s.unit);
    row.where = worded(f->where);
    row.strong = f->bench;
    row.open = open.contains(kind);
    if (moved.contains(f->key)) row.moved = moved[f->key];
    next.push_back(row);
    if (!row.open) continue;
    const auto under = [&](FollowsRow::Kind rowKind, const QString& text) -> FollowsRow& {
      FollowsRow one;
      one.kind = rowKind;
      one.id = kind + "/" + std::to_string(next.size());
      one.text = text;
      one.under = true;
      next.push_back(one);
      return next.back();
    };
    if (!f->rule.empty()) under(FollowsRow::Kind::words, worded(f->rule));
    if (!f->working.empty()) under(FollowsRow::Kind::words, worded(f->working)).strong = true;
    if (!f->source.empty()) under(FollowsRow::Kind::words, worded(f->source)).slanted = true;
    for (const std::string& path : f->decisions)
      under(FollowsRow::Kind::link, tr("follows from: %1").arg(nameOf(path))).decision = path;
  }

  // What one looks at stays where it is, whatever comes or goes above it.
  const QModelIndex top = list->indexAt({4, 2}), current = list->currentIndex();
  const std::string topId = top.isValid() ? rows->at(top.row()).id : std::string();
  const int topAt = top.isValid() ? list->visualRect(top).top() : 0;
  const std::string currentId = current.isValid() ? rows->at(current.row()).id : std::string();
  const bool other = what & (Aspect::stage | Aspect::subject);
  if (!rows->show(std::move(next))) return;
  if (const int row = rows->find(currentId); row >= 0) list->setCurrentIndex(rows->index(row));
  if (other) return list->scrollToTop();
  if (const int row = rows->find(topId); row >= 0 && !topId.empty()) {
    list->scrollTo(rows->index(row), QAbstractItemView::PositionAtTop);
    auto* bar = list->verticalScrollBar();
    bar->setValue(bar->value() - topAt + list->visualRect(rows->index(row)).top());
  }
}

void FollowsPanel::act(const QModelIndex& index) {
  if (!index.isValid()) return;
  const FollowsRow row = rows->at(index.row()); // a copy: acting on it may change the list
  if (row.kind == FollowsRow::Kind::finding || row.kind == FollowsRow::Kind::figure) return setOpen(row.id, !row.open);
  if (!row.decision.empty()) return Q_EMIT wanted(QString::fromStdString(row.decision));
  if (!row.rib) return;
  standpoint.setWing(row.place.wing);
  standpoint.setRib(*row.rib);
}

bool FollowsPanel::eventFilter(QObject* watched, QEvent* event) {
  if (watched == list && event->type() == QEvent::KeyPress) {
    const auto* key = static_cast<QKeyEvent*>(event);
    if (key->key() == Qt::Key_Return || key->key() == Qt::Key_Enter || key->key() == Qt::Key_Space) {
      act(list->currentIndex());
      return true;
    }
  }
  if (watched == list && event->type() == QEvent::FocusIn && !list->currentIndex().isValid() && rows->rowCount() > 0)
    list->setCurrentIndex(rows->index(0));
  return QWidget::eventFilter(watched, event);
}

void FollowsPanel::setOpen(const std::string& key, bool on) {
  const std::string id = key.starts_with("finding ") ? key : kindOf(key);
  on ? (void)open.insert(id) : (void)open.erase(id);
  refresh(Aspect::view);
  if (!on) return;
  if (const int row = rows->find(id); row >= 0) {
    list->setCurrentIndex(rows->index(row));
    int last = row; // all of its working is to be seen, its own line first
    while (last + 1 < rows->rowCount() && rows->at(last + 1).under) ++last;
    list->scrollTo(rows->index(last), QAbstractItemView::EnsureVisible);
    list->scrollTo(rows->index(row), QAbstractItemView::EnsureVisible);
  }
}

bool FollowsPanel::isOpen(const std::string& key) const {
  return open.contains(key.starts_with("finding ") ? key : kindOf(key));
}

bool FollowsPanel::tells(const std::string& key) const {
  return large.contains(kindOf(key)) || rows->find(kindOf(key)) >= 0;
}

QString FollowsPanel::wordsOf(const std::string& key) const {
  const std::string kind = kindOf(key);
  if (const int row = rows->find(kind); row >= 0) return rows->at(row).words();
  for (const HeadlineTile* tile : tiles)
    if (tile->words().kind == kind && large.contains(kind)) return tile->accessibleName();
  return {};
}

QString FollowsPanel::movedBy(const std::string& key) const {
  const auto found = moved.find(key);
  return found == moved.end() ? QString() : found->second;
}

bool FollowsPanel::reveal(const std::string& key) {
  const Figure* f = document.hasWing() ? figureNamed(document.wing(), key) : nullptr;
  if (!f) return false;
  const Figure figure = *f; // the wing may be another one after the moves
  if (figure.stage != Stage::plan && figure.wing != standpoint.wing()) standpoint.setWing(figure.wing);
  if (figure.rib)
    standpoint.setRib(*figure.rib);
  else if (figure.panel && *figure.panel != standpoint.panel().panel)
    standpoint.setPanel({figure.wing, *figure.panel});
  standpoint.setStage(figure.stage);
  setOpen(key, true);
  list->setFocus();
  return true;
}

} // namespace eup::app
