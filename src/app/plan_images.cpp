#include "app/plan_images.h"
#include "core/files/bytes.h"
#include <QCoreApplication>
#include <QDir>
#include <QElapsedTimer>
#include <QFileInfo>
#include <QTemporaryFile>

namespace eup::app {

PlanImages::~PlanImages() = default;

QString PlanImages::resolved(const std::string& file, const QString& folder) {
  const QString path = QString::fromStdString(file);
  return QFileInfo(path).isAbsolute() || folder.isEmpty() ? path : QDir::cleanPath(QDir(folder).filePath(path));
}

std::string PlanImages::keyOf(const PlanSheet& s, const QString& folder) {
  return resolved(s.file, folder).toStdString() + "|" + std::to_string(s.page) + "|" + s.checksum + "|" +
         std::to_string(s.copy.bytes().size()) + "|" + std::to_string(s.dpi);
}

void PlanImages::follow(const Plan& plan, const QString& folder) {
  std::vector<std::string> wanted;
  for (const PlanSheet& s : plan.sheets) wanted.push_back(keyOf(s, folder));
  if (wanted == keys) return;
  keys = std::move(wanted);
  for (std::size_t i = 0; i < keys.size(); ++i)
    if (!entries.contains(keys[i])) start(keys[i], plan.sheets[i], folder);
  std::erase_if(entries,
                [this](const auto& entry) { return std::find(keys.begin(), keys.end(), entry.first) == keys.end(); });
  Q_EMIT changed();
}

void PlanImages::start(const std::string& key, const PlanSheet& sheet, const QString& folder) {
  Entry& entry = entries[key];
  entry.job = std::make_unique<Job>();
  Job* job = entry.job.get();
  const QString path = resolved(sheet.file, folder);
  job->thread = std::thread([this, key, job, path, sheet] {
    const Progress progress = [job](double share) { return job->share = share, !job->stop.load(); };
    // The linked file while it is what it was; else the copy, if one is kept; else the file as it is now.
    QString trouble;
    QString from = path;
    const auto checksum = sha256OfFile(path.toStdString(), [job](double) { return !job->stop.load(); });
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
      auto opened = openPlanImage(from.toStdString(), order, progress);
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
  if (found == entries.end() || !found->second.job) return {};
  return found->second.job->share.load();
}

void PlanImages::open(const QString& path, int page, std::function<void(const Result<OpenedPlan>&)> done) {
  openJob = std::make_unique<Job>();
  Job* job = openJob.get();
  job->thread = std::thread([this, job, path, page, done = std::move(done)] {
    const Progress progress = [job](double share) { return job->share = share, !job->stop.load(); };
    OpenOrder order;
    order.page = page;
    Result<OpenedPlan> result = Problem{"", ""};
    auto opened = openPlanImage(path.toStdString(), order, progress);
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
