#include "app/rail.h"
#include "core/design/decisions.h"
#include <QLabel>
#include <QShortcut>
#include <QStyle>
#include <QVBoxLayout>

namespace eup::app {
namespace {

/// Untouched: every decision of the stage is as in a new wing; no plan was opened.
bool untouched(const Design& design, Stage stage) {
  if (stage == Stage::plan) return design.plan == Plan{};
  const auto now = decisionsOf(design), fresh = decisionsOf(Design{});
  std::vector<std::string> a, b;
  for (const Decision& d : now)
    if (d.stage == stage) a.push_back(d.path + "=" + d.text);
  for (const Decision& d : fresh)
    if (d.stage == stage) b.push_back(d.path + "=" + d.text);
  return a == b;
}

} // namespace

Rail::Rail(Document& d, Standpoint& s, QWidget* parent) : QWidget(parent), document(d), standpoint(s) {
  setObjectName("rail");
  setAttribute(Qt::WA_StyledBackground);
  setFixedWidth(168);
  auto* column = new QVBoxLayout(this);
  column->setContentsMargins(0, 10, 0, 10);
  column->setSpacing(2);
  int number = 0;
  for (Stage stage : allStages) {
    auto* button = new QToolButton(this);
    button->setProperty("stage", true);
    button->setCheckable(true);
    button->setSizePolicy(QSizePolicy::Expanding, QSizePolicy::Fixed);
    button->setFixedHeight(52);
    button->setFocusPolicy(Qt::StrongFocus);
    button->setObjectName(QString("stage%1").arg(++number));
    auto* key = new QShortcut(QKeySequence(QString("Ctrl+%1").arg(number)), this);
    connect(key, &QShortcut::activated, this, [this, stage] { standpoint.setStage(stage); });
    button->setToolTip(tr("Ctrl+%1").arg(number));
    auto* inside = new QVBoxLayout(button);
    inside->setContentsMargins(14, 6, 6, 6);
    inside->setSpacing(1);
    auto* title = new QLabel(QString("%1   %2").arg(number).arg(QString::fromUtf8(name(stage))), button);
    title->setStyleSheet("font-size: 13px; font-weight: 600;");
    auto* state = new QLabel(button);
    state->setContentsMargins(20, 0, 0, 0);
    for (QLabel* label : {title, state}) {
      label->setAttribute(Qt::WA_TransparentForMouseEvents);
      inside->addWidget(label);
    }
    column->addWidget(button);
    connect(button, &QToolButton::clicked, this, [this, stage] {
      standpoint.setStage(stage);
      refresh();
    });
    entries.push_back({stage, button, state});
  }
  column->addStretch();
  connect(&document, &Document::changed, this, &Rail::refresh);
  connect(&standpoint, &Standpoint::changed, this, &Rail::refresh);
  refresh();
}

void Rail::refresh() {
  for (const Entry& e : entries) {
    e.button->setChecked(standpoint.stage() == e.stage);
    int count = 0;
    bool bad = false;
    for (const Finding& f : document.findings())
      if (f.stage == e.stage) ++count, bad = bad || f.severity != Severity::note;
    // A mark and a word, so that colour is not the only sign.
    const QString words = count > 0 ? tr("%1 %n finding(s)", nullptr, count)
                                          .arg(bad ? "▲" : "•")
                                          .replace("finding(s)", count == 1 ? "finding" : "findings")
                          : untouched(document.design(), e.stage) ? tr("untouched")
                                                                  : tr("✓ settled");
    e.state->setText(words);
    const QString look = bad && count > 0 ? "problem" : "small";
    if (e.state->objectName() != look) { // only then: looking a style up anew is slow
      e.state->setObjectName(look);
      e.state->style()->polish(e.state);
    }
    e.button->setAccessibleName(QString("%1, %2").arg(QString::fromUtf8(name(e.stage)), words));
  }
}

} // namespace eup::app
