#include "app/document.h"
#include "core/design/design_file.h"
#include "core/files/text_file.h"
#include <algorithm>
#include <QDir>
#include <QFileInfo>

namespace eup::app {

namespace {
constexpr std::size_t mostSteps = 500;

QString folderOf(const QString& file) {
  return file.isEmpty() ? QString() : QFileInfo(file).absolutePath();
}

/// Plan files named from another folder, or for the first time from one.
void relink(Plan& plan, const QString& from, const QString& to) {
  for (PlanSheet& s : plan.sheets) {
    const QString path = PlanImages::resolved(s.file, from);
    if (QFileInfo(path).isAbsolute()) s.file = QDir(to).relativeFilePath(path).toStdString();
  }
}
} // namespace

Document::Document(QObject* parent) : QObject(parent) {
  follow();
}

void Document::follow() {
  auto result = work(present);
  if (auto* wing = std::get_if<TrueWing>(&result)) {
    lastGood = std::make_unique<TrueWing>(std::move(*wing));
    present_findings = lastGood->findings;
    isPossible = true;
  } else {
    present_findings = std::get<std::vector<Finding>>(std::move(result));
    isPossible = false;
    if (!lastGood) lastGood = std::make_unique<TrueWing>(std::get<TrueWing>(work(Design{})));
  }
  onBoard = std::clamp(onBoard, 0, static_cast<int>(std::min(present.wings.size(), lastGood->wings.size())) - 1);
  images.follow(present.plan, folderOf(filePath));
}

void Document::showWing(int number) {
  const int most = static_cast<int>(std::min(present.wings.size(), lastGood->wings.size())) - 1;
  const int next = std::clamp(number, 0, most);
  if (next == onBoard) return;
  onBoard = next;
  Q_EMIT changed();
}

void Document::edit(const QString& name, Design next, const QString& merge) {
  if (next == present) return;
  const bool sameRow = !merge.isEmpty() && merge == lastMerge && !past.empty();
  if (!sameRow) past.push_back({name, present});
  if (past.size() > mostSteps) past.erase(past.begin());
  lastMerge = merge;
  future.clear();
  present = std::move(next);
  follow();
  Q_EMIT changed();
  Q_EMIT fileChanged();
}

void Document::undo() {
  if (past.empty()) return;
  future.push_back({past.back().name, std::move(present)});
  present = std::move(past.back().design);
  past.pop_back();
  lastMerge.clear();
  follow();
  Q_EMIT changed();
  Q_EMIT fileChanged();
}

void Document::redo() {
  if (future.empty()) return;
  past.push_back({future.back().name, std::move(present)});
  present = std::move(future.back().design);
  future.pop_back();
  lastMerge.clear();
  follow();
  Q_EMIT changed();
  Q_EMIT fileChanged();
}

void Document::replace(Design design, const QString& path, bool asSaved) {
  present = std::move(design);
  saved = asSaved ? present : Design{};
  past.clear();
  future.clear();
  lastMerge.clear();
  filePath = path;
  lastGood.reset();
  onBoard = 0;
  follow();
  Q_EMIT replaced();
  Q_EMIT changed();
  Q_EMIT fileChanged();
}

Result<std::vector<std::string>> Document::open(const QString& path) {
  const auto text = readTextFile(path.toStdString());
  if (!text) return text.problem();
  auto read = designFromText(text.value());
  if (!read) return read.problem();
  replace(std::move(read.value().design), path, true);
  return std::move(read.value().notes);
}

Result<Done> Document::save(const QString& path) {
  const QString from = folderOf(filePath), to = folderOf(path);
  Design linked = present;
  relink(linked.plan, from, to);
  const auto done = writeFileAtomically(path.toStdString(), designToText(linked));
  if (!done) return done;
  for (auto* steps : {&past, &future})
    for (Step& step : *steps) relink(step.design.plan, from, to);
  present = linked;
  saved = std::move(linked);
  filePath = path;
  if (lastGood && isPossible) lastGood->design.plan = present.plan;
  images.follow(present.plan, to);
  Q_EMIT fileChanged();
  return done;
}

PanelId Document::panelIdOf(int rib) const {
  PanelId id = panelOfRib(rib).design.id;
  const auto& panels = present.wings.at(static_cast<std::size_t>(id.wing)).panels;
  id.panel = std::min(id.panel, static_cast<int>(panels.size()) - 1);
  return id;
}

} // namespace eup::app
