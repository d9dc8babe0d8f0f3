#include "app/state/document.h"
#include "core/bench/recording.h"
#include "core/described/design_file.h"
#include "core/described/limits_check.h"
#include "core/design/lasting.h"
#include "core/edit/same_wood.h"
#include "core/edit/wing_edit.h"
#include "core/files/bytes.h"
#include "core/files/text_file.h"
#include "core/report/told.h"
#include "core/steps/steps.h"
#include "core/steps/touched.h"
#include <algorithm>
#include <QDateTime>
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

Moment wallClock() {
  const QDateTime now = QDateTime::currentDateTime();
  return {{now.date().year(), now.date().month(), now.date().day()}, now.time().hour() * 60 + now.time().minute()};
}
} // namespace

Document::Document(QObject* parent)
    : QObject(parent), saved(std::make_shared<const Design>(eup::newWing())), tellsTime(wallClock) {
  follow(saved);
}

const TrueWing& Document::wing() const {
  Q_ASSERT(present.wing);
  return *present.wing;
}

const std::vector<Decision>& Document::decisions() const {
  if (listedOf != present.design) listed = decisionsOf(design()), listedOf = present.design;
  return listed;
}

void Document::follow(Kept next) {
  auto result = work(*next);
  follow(std::move(next), std::move(result));
}

void Document::follow(Kept next, std::variant<TrueWing, std::vector<Finding>> result) {
  Changes what = Aspect::design | Aspect::wing | Aspect::file;
  present.design = std::move(next);
  std::vector<Finding> findings;
  if (auto* wing = std::get_if<TrueWing>(&result)) {
    findings = findingsOf(*wing);
    present.wing = std::make_shared<const TrueWing>(std::move(*wing));
    present.current = true;
    present.plan = std::shared_ptr<const JudgedPlan>(present.wing, &present.wing->plan);
  } else {
    findings = std::get<std::vector<Finding>>(std::move(result));
    present.current = false;
    present.plan = std::make_shared<const JudgedPlan>(
        design().plan.sheets.empty() ? JudgedPlan{} : judge(design().plan, design().unit));
  }
  if (findings != present.findings) what |= Aspect::findings;
  present.findings = std::move(findings);
  images.follow(design().plan, folderOf(filePath));
  Q_EMIT changed(what);
}

bool Document::edit(const QString& name, Design next, const QString& merge) {
  next.records = design().records; // whatever it was made of: records are not decided
  if (next == design()) return true;
  next = asEdited(design(), std::move(next));
  if (const auto beyond = outOfLimits(next)) {
    Q_EMIT refused(tr("%1 was not done. %2").arg(name, QString::fromStdString(beyond->text())));
    return false;
  }
  const bool sameRow = !merge.isEmpty() && merge == lastMerge && !past.empty();
  if (!sameRow) past.push_back({name, present.design});
  if (past.size() > mostSteps) past.erase(past.begin());
  lastMerge = merge;
  future.clear();
  if (!sameRow) next.records = recordsWith(std::move(next.records), name);
  const Snapshot before = present;
  follow(std::make_shared<const Design>(std::move(next)));
  sayTouched(before);
  return true;
}

Records Document::recordsWith(Records out, const QString& changed) const {
  if (isBegun(out)) addToLog(out, clock(), LogKind::changed, changed.toStdString());
  return out;
}

void Document::sayTouched(const Snapshot& before) {
  if (const int gone = withoutWood(design().records, *before.design, design()); gone > 0)
    return touched(
        gone == 1 ? tr("One record belongs to a panel or wing that was removed. It is kept, and returns with it.")
                  : tr("%1 records belong to panels or wings that were removed. They are kept, and return with them.")
                        .arg(gone));
  if (!before.wing || !possible() || !isBegun(design().records)) return;
  const std::vector<eup::Step> steps = stepsOf(wing());
  QStringList out;
  for (const std::size_t i : touchedSteps(*before.wing, wing(), steps, design().records.steps))
    out << QString::fromStdString(namedStep(steps[i]));
  if (out.isEmpty()) return;
  const qsizetype more = out.size() - 3;
  Q_EMIT touched(tr("This touches work that is done: %1%2. What lies on the bench follows the old figures.")
                     .arg(out.mid(0, 3).join(", "), more > 0 ? tr(" and %1 more").arg(more) : QString()));
}

void Document::step(std::vector<Step>& from, std::vector<Step>& to) {
  if (from.empty()) return;
  to.push_back({from.back().name, present.design});
  Kept next = std::move(from.back().design);
  from.pop_back();
  lastMerge.clear();
  if (Records now = recordsWith(recordsOfSameWood(design().records, design(), *next),
                                tr("Back or forward: %1").arg(to.back().name));
      next->records != now) {
    Design with = *next; // they stay as they are
    with.records = std::move(now);
    next = std::make_shared<const Design>(std::move(with));
  }
  const Snapshot before = present;
  follow(next);
  sayTouched(before);
}

bool Document::record(const std::function<void(Records&)>& change) {
  Design next = design();
  change(next.records);
  if (next == design()) return true;
  if (const auto beyond = outOfLimits(next)) {
    Q_EMIT refused(QString::fromStdString(beyond->text()));
    return false;
  }
  lastMerge.clear();
  auto kept = std::make_shared<const Design>(std::move(next));
  if (!possible()) {
    follow(std::move(kept));
    return true;
  }
  TrueWing same = withRecords(wing(), kept->records);
  follow(std::move(kept), std::move(same));
  return true;
}

bool Document::takeBack(const QString& name, Design kept) {
  (void)makeNumbersOwn(kept);
  kept.records = together(recordsOfSameWood(design().records, design(), kept), kept.records);
  if (kept == design()) return true;
  if (const auto beyond = outOfLimits(kept)) {
    Q_EMIT refused(tr("%1 was not done. %2").arg(name, QString::fromStdString(beyond->text())));
    return false;
  }
  past.push_back({name, present.design});
  lastMerge.clear();
  future.clear();
  follow(std::make_shared<const Design>(std::move(kept)));
  return true;
}

void Document::setLooked(const std::string& key, bool looked) {
  record([&](Records& r) {
    std::erase_if(r.looked, [&](const Looked& l) { return l.key == key; });
    if (looked) r.looked.push_back({key});
  });
}

void Document::undo() {
  step(past, future);
}

void Document::redo() {
  step(future, past);
}

void Document::replace(Design design, const QString& path, bool asSaved) {
  (void)makeNumbersOwn(design);
  const auto kept = std::make_shared<const Design>(std::move(design));
  saved = asSaved ? kept : std::make_shared<const Design>(eup::newWing());
  past.clear();
  future.clear();
  lastMerge.clear();
  filePath = path;
  const auto there = path.isEmpty() ? Result<std::string>(Problem{}) : readTextFile(path.toStdString());
  inFile = there ? sha256(there.value()) : std::string();
  present.wing.reset(); // another aircraft's wing is not shown under this one's name
  Q_EMIT replaced();
  follow(kept);
}

Result<std::vector<std::string>> Document::open(const QString& path) {
  const auto text = readTextFile(path.toStdString());
  if (!text) return text.problem();
  auto read = designFromText(text.value());
  if (!read) return read.problem();
  replace(std::move(read.value().design), path, true);
  inFile = sha256(text.value());
  return std::move(read.value().notes);
}

bool Document::changedOutside() const {
  if (filePath.isEmpty() || !QFileInfo::exists(filePath)) return false;
  const auto text = readTextFile(filePath.toStdString());
  return !text || sha256(text.value()) != inFile;
}

Result<Done> Document::save(const QString& path) {
  const QString from = folderOf(filePath), to = folderOf(path);
  const auto linked = [&](const Kept& old) {
    Design now = *old;
    relink(now.plan, from, to);
    return now == *old ? old : std::make_shared<const Design>(std::move(now));
  };
  const Kept kept = linked(present.design);
  const std::string text = designToText(*kept);
  // What is written must be read again: looked at before the old file goes.
  if (text.size() > largestTextFile)
    return Problem{path.toStdString(),
                   tr("the file would be larger than %1 MB and could not be opened again: keep fewer "
                      "copies of plans in it")
                       .arg(largestTextFile >> 20)
                       .toStdString()};
  const auto again = designFromText(text);
  if (!again || !(again.value().design == *kept))
    return Problem{
        path.toStdString(),
        tr("it would not be read again as it is (%1): this is a fault of the program; the old file is untouched")
            .arg(again ? tr("some decision would change") : QString::fromStdString(again.problem().text()))
            .toStdString()};
  clearKilledSaves(path.toStdString());
  const auto done = writeFileAtomically(path.toStdString(), text);
  if (!done) return done;
  inFile = sha256(text);
  for (auto* steps : {&past, &future})
    for (Step& step : *steps) step.design = linked(step.design);
  saved = kept;
  filePath = path;
  if (present.design == kept) {
    images.follow(kept->plan, to);
    Q_EMIT changed(Aspect::file);
  } else {
    follow(kept);
  }
  return done;
}

} // namespace eup::app
