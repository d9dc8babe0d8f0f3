#include "app/frame/rail.h"
#include "core/edit/wing_edit.h"
#include <QLabel>
#include <QShortcut>
#include <QStyle>
#include <QVBoxLayout>

namespace eup::app {
namespace {

std::map<Stage, std::vector<std::string>> wordsOfStages(const std::vector<Decision>& decisions) {
  std::map<Stage, std::vector<std::string>> out;
  for (const Decision& d : decisions) out[d.stage].push_back(d.path + "=" + d.text);
  return out;
}

/// Of the stage of that number: the digits, 0 for the tenth, and B, for building, for the last.
QString keyOf(int number) {
  return number > 10 ? QString("Ctrl+B") : QString("Ctrl+%1").arg(number % 10);
}

} // namespace

Rail::Rail(Document& d, Standpoint& s, QWidget* parent) : QWidget(parent), document(d), standpoint(s) {
  setObjectName("rail");
  setAttribute(Qt::WA_StyledBackground);
  setFixedWidth(190);
  auto* column = new QVBoxLayout(this);
  column->setContentsMargins(0, 8, 0, 8);
  column->setSpacing(0);
  int number = 0;
  for (Stage stage : allStages) {
    auto* button = new QToolButton(this);
    button->setProperty("stage", true);
    button->setCheckable(true);
    button->setSizePolicy(QSizePolicy::Expanding, QSizePolicy::Fixed);
    button->setFixedHeight(34);
    button->setFocusPolicy(Qt::StrongFocus);
    button->setObjectName(QString("stage%1").arg(++number));
    auto* key = new QShortcut(QKeySequence(keyOf(number)), this);
    connect(key, &QShortcut::activated, this, [this, stage] { standpoint.setStage(stage); });
    button->setToolTip(keyOf(number));
    auto* inside = new QHBoxLayout(button);
    inside->setContentsMargins(10, 0, 10, 0);
    inside->setSpacing(6);
    auto* title =
        new QLabel(QString(number < 10 ? "%1   %2" : "%1  %2").arg(number).arg(QString::fromUtf8(name(stage))), button);
    title->setObjectName("stageTitle");
    auto* state = new QLabel(button);
    for (QLabel* label : {title, state}) label->setAttribute(Qt::WA_TransparentForMouseEvents);
    inside->addWidget(title);
    inside->addStretch();
    inside->addWidget(state);
    column->addWidget(button);
    auto* under = new QWidget(this);
    under->setObjectName("railParts");
    under->setAttribute(Qt::WA_StyledBackground);
    auto* list = new QVBoxLayout(under);
    list->setContentsMargins(12, 0, 6, 6);
    list->setSpacing(1);
    under->hide();
    column->addWidget(under);
    connect(button, &QToolButton::clicked, this, [this, stage] {
      standpoint.setStage(stage);
      refresh(Aspect::stage);
    });
    entries.push_back({stage, button, state, under, list});
  }
  column->addStretch();
  new Watch(this, document, standpoint, [this](Changes what) { refresh(what); });
  refresh(everything);
}

/// Every decision of the stage is as in a new wing; no plan was opened.
bool Rail::untouched(Stage stage) const {
  const auto found = fresh.find(stage);
  return found == fresh.end() || found->second;
}

void Rail::countFindings() {
  std::map<std::string, const Decision*> byPath;
  for (const Decision& d : document.decisions()) byPath[d.path] = &d;
  ofStage.clear();
  ofSubject.clear();
  const PanelId here = standpoint.panel();
  for (const Finding& f : document.findings()) {
    State& stage = ofStage[f.stage];
    ++stage.findings;
    const bool wrong = f.severity != Severity::note;
    stage.wrong = stage.wrong || wrong;
    if (f.decisions.empty() || f.wing != here.wing || f.panel.value_or(here.panel) != here.panel) continue;
    const auto decision = byPath.find(f.decisions.front());
    if (decision == byPath.end()) continue;
    State& subject = ofSubject[decision->second->subject.key()];
    ++subject.findings;
    subject.wrong = subject.wrong || wrong;
  }
}

void Rail::mark(QLabel* label, const QString& words, bool wrong) {
  label->setText(words);
  const QString look = wrong ? "problem" : "small";
  if (label->objectName() == look) return; // looking a style up anew is slow
  label->setObjectName(look);
  label->style()->polish(label);
}

/// The parts of the stage that is open; those of a spar under the one that is chosen only.
void Rail::showParts() {
  const PanelId id = standpoint.panel();
  std::vector<Subject> shown;
  for (const Subject& s : subjectsOf(document.design(), standpoint.stage(), id))
    if (!(isPartOfSpar(s.topic) && s.number != standpoint.spar()) &&
        !(isPartOfSurface(s.topic) && s.number != standpoint.subject().number))
      shown.push_back(s);
  std::string now = name(standpoint.stage());
  for (const Subject& s : shown) now += "|" + s.key();
  if (now != partsShape) {
    partsShape = now;
    const bool focused = std::any_of(parts.begin(), parts.end(), [](const Part& p) { return p.button->hasFocus(); });
    for (const Part& part : parts) part.button->hide(), part.button->deleteLater();
    parts.clear();
    for (const Entry& e : entries) {
      e.parts->setVisible(e.stage == standpoint.stage() && !shown.empty());
      if (e.stage != standpoint.stage()) continue;
      for (const Subject& s : shown) {
        auto* button = new QToolButton(e.parts);
        button->setProperty("part", true);
        button->setCheckable(true);
        button->setFocusPolicy(Qt::StrongFocus);
        button->setSizePolicy(QSizePolicy::Expanding, QSizePolicy::Fixed);
        button->setFixedHeight(23);
        button->setObjectName("part " + QString::fromStdString(s.key()));
        auto* inside = new QHBoxLayout(button);
        inside->setContentsMargins(isPartOfSpar(s.topic) || isPartOfSurface(s.topic) ? 22 : 10, 0, 6, 0);
        auto* title = new QLabel(button);
        title->setAttribute(Qt::WA_TransparentForMouseEvents);
        inside->addWidget(title);
        auto* state = new QLabel(button);
        state->setAttribute(Qt::WA_TransparentForMouseEvents);
        inside->addStretch();
        inside->addWidget(state);
        connect(button, &QToolButton::clicked, this, [this, s] {
          standpoint.choose(s);
          refresh(Aspect::subject);
        });
        e.column->addWidget(button);
        parts.push_back({s, button, title, state});
      }
    }
    if (focused)
      for (const Part& part : parts)
        if (part.subject == standpoint.subject()) part.button->setFocus();
  }
  for (const Part& part : parts) {
    const QString title = QString::fromStdString(titleOf(part.subject, document.design(), id));
    const bool chosen = part.subject == standpoint.subject();
    part.title->setText(fontMetrics().elidedText(
        title, Qt::ElideRight, isPartOfSpar(part.subject.topic) || isPartOfSurface(part.subject.topic) ? 116 : 128));
    if (const QString look = chosen ? "chosenPart" : ""; part.title->objectName() != look) {
      part.title->setObjectName(look);
      part.title->style()->polish(part.title);
    }
    part.button->setChecked(chosen);
    const auto state = ofSubject.find(part.subject.key());
    const bool any = state != ofSubject.end(), wrong = any && state->second.wrong;
    mark(part.state, any ? (wrong ? "▲" : "•") : "", wrong);
    part.button->setAccessibleName(any ? tr("%1, has findings").arg(title) : title);
  }
}

void Rail::refresh(Changes what) {
  if (what & (Aspect::design | Aspect::file)) {
    static const auto ofNew = wordsOfStages(decisionsOf(eup::newWing()));
    const auto now = wordsOfStages(document.decisions());
    for (Stage stage : allStages) {
      const auto a = now.find(stage), b = ofNew.find(stage);
      fresh[stage] = a == now.end() || (b != ofNew.end() && a->second == b->second);
    }
    fresh[Stage::plan] = document.design().plan == Plan{};
  }
  if (what & (Aspect::findings | Aspect::place | Aspect::design)) countFindings();
  for (const Entry& e : entries) {
    e.button->setChecked(standpoint.stage() == e.stage);
    const auto state = ofStage.find(e.stage);
    const int count = state == ofStage.end() ? 0 : state->second.findings;
    const bool wrong = count > 0 && state->second.wrong;
    // A mark, and words for who hears it: colour is not the only sign.
    mark(e.state,
         count > 0            ? QString("%1 %2").arg(wrong ? "▲" : "•").arg(count)
         : untouched(e.stage) ? "–"
                              : "✓",
         wrong);
    const QString words = count == 1           ? tr("1 finding")
                          : count > 1          ? tr("%1 findings").arg(count)
                          : untouched(e.stage) ? tr("untouched")
                                               : tr("settled");
    e.button->setAccessibleName(QString("%1, %2").arg(QString::fromUtf8(name(e.stage)), words));
    e.button->setToolTip(tr("%1 · %2").arg(words, keyOf(static_cast<int>(e.stage) + 1)));
  }
  showParts();
}

} // namespace eup::app
