// The pictures of the open wing's plan: read in the background, kept while a sheet shows them.
#pragma once
#include "core/plan/plan.h"
#include "core/plan/plan_image.h"
#include <atomic>
#include <functional>
#include <map>
#include <memory>
#include <optional>
#include <QObject>
#include <thread>

namespace eup::app {

struct OpenedPlan {
  std::shared_ptr<const PlanImage> image;
  std::string checksum;
};

class PlanImages : public QObject {
  Q_OBJECT
public:
  using QObject::QObject;
  ~PlanImages() override;

  /// Reads what the sheets show and is not there yet, one after the other; lets go of the rest. `folder` is the wing
  /// file's: what lies outside of it is not opened before `trust` is said, for a file from elsewhere may name anything.
  void follow(const Plan& plan, const QString& folder);

  /// The sheet's picture; null while it is read, or when it cannot be.
  const PlanImage* image(std::size_t sheet) const;
  /// What is wrong with the sheet's file: gone, changed, damaged. Empty when all is well.
  QString trouble(std::size_t sheet) const;
  /// Whether it is not read because it lies outside the wing's folder; then `trust` has it read.
  bool asks(std::size_t sheet) const;
  void trust(std::size_t sheet);
  /// Share read while it is being read, or waits for its turn.
  std::optional<double> reading(std::size_t sheet) const;

  /// Reads a file that is to become a sheet. One at a time; `done` is called in the window's own thread.
  void open(const QString& path, int page, std::function<void(const Result<OpenedPlan>&)> done);
  std::optional<double> opening() const;
  void stopOpening();

  static QString resolved(const std::string& file, const QString& folder);
  /// Waits until nothing is being read; for tests and pictures.
  bool settle(int milliseconds);

Q_SIGNALS:
  void changed();

private:
  struct Job {
    std::thread thread;
    std::atomic<bool> stop{false}, finished{false};
    std::atomic<double> share{0};
    ~Job() {
      stop = true;
      if (thread.joinable()) thread.join();
    }
  };
  struct Entry {
    std::shared_ptr<const PlanImage> image;
    QString trouble;
    std::unique_ptr<Job> job;
    std::optional<PlanSheet> waits; ///< until the sheets before it are read
    QString outside;                ///< its path, where the person has to say that it may be read
  };
  static std::string keyOf(const PlanSheet& sheet, const QString& folder);
  void start(Entry& entry, const std::string& key, const PlanSheet& sheet);
  void startNext();
  double bytesHeld() const;

  std::map<std::string, Entry> entries;
  std::vector<std::string> keys; ///< one a sheet
  QString folder;                ///< the wing file's
  QStringList trusted;           ///< paths outside it that the person chose, or said may be read
  std::unique_ptr<Job> openJob;
};

} // namespace eup::app
