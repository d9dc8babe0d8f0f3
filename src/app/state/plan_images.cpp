#include "app/state/plan_images.h"
#include "core/files/bytes.h"
#include <new>
#include <QCoreApplication>
#include <QDir>
#include <QElapsedTimer>
#include <QFileInfo>
#include <QTemporaryFile>
#include <utility>

namespace eup::app {

PlanImages::~PlanImages() = default;

/// As `openPlanImage`; a picture that memory is too short for is told like any other that cannot be read.
static Result<PlanImage> openedOrNot(const QString& path, const OpenOrder& order, const Progress& progress) {
  try {
    return openPlanImage(path.toStdString(), order, progress);
  } catch (const std::bad_alloc&) {
    return Problem{QFileInfo(path).fileName().toStdString(), "there is not enough memory for this picture"};
  }
}

QString PlanImages::resolved(const std::string& file, const QString& folder) {
  const QString path = QString::fromStdString(file);
  return QFileInfo(path).isAbsolute() || folder.isEmpty() ? path : QDir::cleanPath(QDir(folder).filePath(path));
}

std::string PlanImages::keyOf(const PlanSheet& s, const QString& folder) {
  return resolved(s.file, folder).toStdString() + "|" + std::to_string(s.page) + "|" + s.checksum + "|" +
         std::to_string(s.copy.bytes().size()) + "|" + std::to_string(s.dpi);
}

static QString wholePath(const QString& path) {
  return QDir::cleanPath(QFileInfo(path).absoluteFilePath());
}

/// Whether a sheet's file lies elsewhere than in the wing's folder or below it.
static bool liesOutside(const QString& path, const QString& folder) {
  return !wholePath(path).startsWith(wholePath(folder.isEmpty() ? QDir::currentPath() : folder) + '/');
}

void PlanImages::follow(const Plan& plan, const QString& wingFolder) {
  std::vector<std::string> wanted;
  for (const PlanSheet& s : plan.sheets) wanted.push_back(keyOf(s, wingFolder));
  if (wanted == keys) return;
  keys = std::move(wanted);
  folder = wingFolder;
  for (std::size_t i = 0; i < keys.size(); ++i) {
    if (entries.contains(keys[i])) continue;
    Entry& entry = entries[keys[i]];
    entry.waits = plan.sheets[i];
    const QString path = resolved(plan.sheets[i].file, folder);
    if (liesOutside(path, folder) && !trusted.contains(wholePath(path))) {
      entry.outside = wholePath(path);
      entry.trouble = tr("%1 lies outside the wing's folder (%2). It is not opened until you say so.")
                          .arg(QFileInfo(path).fileName(), path);
    }
  }
  std::erase_if(entries,
                [this](const auto& entry) { return std::find(keys.begin(), keys.end(), entry.first) == keys.end(); });
  startNext();
  Q_EMIT changed();
}

bool PlanImages::asks(std::size_t sheet) const {
  const auto found = sheet < keys.size() ? entries.find(keys[sheet]) : entries.end();
  return found != entries.end() && !found->second.outside.isEmpty();
}

void PlanImages::trust(std::size_t sheet) {
  const auto found = sheet < keys.size() ? entries.find(keys[sheet]) : entries.end();
  if (found == entries.end() || found->second.outside.isEmpty()) return;
  trusted += std::exchange(found->second.outside, {});
  found->second.trouble.clear();
  startNext();
  Q_EMIT changed();
}

double PlanImages::bytesHeld() const {
  double sum = 0;
  for (const auto& [key, entry] : entries)
    if (entry.image) sum += 4.0 / 3 * entry.image->full().width * entry.image->full().height;
  return sum;
}

/// Pictures are read one at a time: each may take half a gigabyte.
void PlanImages::startNext() {
  constexpr double most = 1.5e9; // bytes of all sheets of a wing
  for (const auto& [key, entry] : entries)
    if (entry.job) return;
  for (const std::string& key : keys) {
    const auto found = entries.find(key);
    if (found == entries.end()) continue;
    Entry& entry = found->second;
    // A copy that is kept with the wing is the wing's own: only the file outside waits to be allowed.
    if (!entry.waits || (!entry.outside.isEmpty() && entry.waits->copy.empty())) continue;
    const PlanSheet sheet = *std::exchange(entry.waits, std::nullopt);
    if (bytesHeld() > most) {
      entry.trouble = tr("The sheets before it take all the memory that plans may have. Scan them at fewer pixels an "
                         "inch, or keep fewer in one wing.");
      continue;
    }
    return start(entry, key, sheet);
  }
}

void PlanImages::start(Entry& entry, const std::string& key, const PlanSheet& sheet) {
  entry.job = std::make_unique<Job>();
  Job* job = entry.job.get();
  const QString path = resolved(sheet.file, folder);
  const bool outside = !entry.outside.isEmpty();
  entry.outside.clear();
  job->thread = std::thread([this, key, job, path, sheet, outside] {
    const Progress progress = [job](double share) { return job->share = share, !job->stop.load(); };
    // The linked file while it is what it was; else the copy, if one is kept; else the file as it is now.
    QString trouble;
    QString from = path;
    const auto checksum = outside ? Result<std::string>(Problem{})
                                  : sha256OfFile(path.toStdString(), [job](double) { return !job->stop.load(); });
    const bool altered = checksum && !sheet.checksum.empty() && checksum.value() != sheet.checksum;
    QTemporaryFile unpacked;
    if ((!checksum || altered) && !sheet.copy.empty()) {
      if (unpacked.open()) {
        unpacked.write(sheet.copy.bytes().data(), static_cast<qint64>(sheet.copy.bytes().size()));
        unpacked.close();
        from = unpacked.fileName();
      }
    } else if (!checksum) {
      trouble = QObject::tr("%1 is not where it was (%2). Every reading is kept; link the file again.")
                    .arg(QFileInfo(path).fileName(), path);
    } else if (altered) {
      trouble =
          QObject::tr(
              "%1 is not the file that was read from: it has changed. Check a few readings before you trust the rest.")
              .arg(QFileInfo(path).fileName());
    }
    std::shared_ptr<const PlanImage> image;
    if (checksum || from != path) {
      OpenOrder order;
      order.page = sheet.page;
      if (sheet.dpi > 0) order.vectorDpi = sheet.dpi;
      auto opened = openedOrNot(from, order, progress);
      if (opened)
        image = std::make_shared<const PlanImage>(std::move(opened.value()));
      else
        trouble = QString::fromStdString(opened.problem().text());
    }
    if (job->stop) return;
    QMetaObject::invokeMethod(
        this,
        [this, key, image, trouble] {
          const auto found = entries.find(key);
          if (found == entries.end()) return;
          found->second.image = image;
          found->second.trouble = trouble;
          found->second.job.reset();
          startNext();
          Q_EMIT changed();
        },
        Qt::QueuedConnection);
  });
}

const PlanImage* PlanImages::image(std::size_t sheet) const {
  const auto found = sheet < keys.size() ? entries.find(keys[sheet]) : entries.end();
  return found == entries.end() ? nullptr : found->second.image.get();
}

QString PlanImages::trouble(std::size_t sheet) const {
  const auto found = sheet < keys.size() ? entries.find(keys[sheet]) : entries.end();
  return found == entries.end() ? QString() : found->second.trouble;
}

std::optional<double> PlanImages::reading(std::size_t sheet) const {
  const auto found = sheet < keys.size() ? entries.find(keys[sheet]) : entries.end();
  if (found == entries.end()) return {};
  if (found->second.job) return found->second.job->share.load();
  return found->second.waits && found->second.outside.isEmpty() ? std::optional(0.0) : std::nullopt;
}

void PlanImages::open(const QString& path, int page, std::function<void(const Result<OpenedPlan>&)> done) {
  openJob = std::make_unique<Job>();
  trusted += wholePath(path); // chosen by the person
  Job* job = openJob.get();
  job->thread = std::thread([this, job, path, page, done = std::move(done)] {
    const Progress progress = [job](double share) { return job->share = share, !job->stop.load(); };
    OpenOrder order;
    order.page = page;
    Result<OpenedPlan> result = Problem{"", ""};
    auto opened = openedOrNot(path, order, progress);
    if (!opened) {
      result = opened.problem();
    } else if (const auto checksum = sha256OfFile(path.toStdString(), [job](double) { return !job->stop.load(); });
               !checksum) {
      result = checksum.problem();
    } else {
      result = OpenedPlan{std::make_shared<const PlanImage>(std::move(opened.value())), checksum.value()};
    }
    job->finished = true;
    QMetaObject::invokeMethod(
        this,
        [this, result, done, path, page] {
          openJob.reset();
          if (result) { // the sheet that is made of it finds it here
            PlanSheet sheet;
            sheet.file = path.toStdString();
            sheet.page = page;
            sheet.checksum = result.value().checksum;
            sheet.dpi = result.value().image->dpi;
            entries[keyOf(sheet, {})].image = result.value().image;
          }
          done(result);
          Q_EMIT changed();
        },
        Qt::QueuedConnection);
  });
  Q_EMIT changed();
}

std::optional<double> PlanImages::opening() const {
  if (!openJob) return {};
  return openJob->share.load();
}

void PlanImages::stopOpening() {
  if (openJob) openJob->stop = true;
}

bool PlanImages::settle(int milliseconds) {
  QElapsedTimer clock;
  clock.start();
  const auto busy = [this] {
    if (openJob) return true;
    return std::any_of(entries.begin(), entries.end(), [](const auto& e) { return e.second.job != nullptr; });
  };
  while (busy() && clock.elapsed() < milliseconds) QCoreApplication::processEvents(QEventLoop::AllEvents, 20);
  return !busy();
}

} // namespace eup::app
