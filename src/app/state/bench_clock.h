// The steps of the open wing as they stand at this minute; says when a cure is over.
#pragma once
#include "app/state/document.h"
#include "core/bench/progress.h"
#include <QObject>
#include <QTimer>
#include <set>

namespace eup::app {

class BenchClock : public QObject {
  Q_OBJECT
public:
  explicit BenchClock(Document& document, QObject* parent = nullptr);

  /// Empty without a wing.
  const std::vector<Step>& steps();
  /// Null where nobody is ever at the bench.
  const BenchNow* now();
  const Step* step(const std::string& key);
  /// Looks at the time again, as it does every half minute.
  void look();

  // What is recorded of a step. Each is a line in the log.
  void begin(const std::string& key);
  void finish(const std::string& key);
  void setLooked(const std::string& key, const QString& by);
  void takeBack(const std::string& key);

Q_SIGNALS:
  void changed();
  void cured(const QString& what);

private:
  Document& document;
  QTimer timer;
  std::shared_ptr<const TrueWing> madeOf;
  std::optional<Moment> madeAt;
  std::vector<Step> made;
  std::optional<BenchNow> present;
  std::set<std::string> curing;
};

} // namespace eup::app
