// Questions to the person and choosers of files, behind one seam: what a test answers, it answers here.
#pragma once
#include <QString>
#include <QWidget>

namespace eup::app {

class Asking {
public:
  enum class Unsaved { save, discard, cancel };

  /// `settingsFile` remembers the folder that was used last.
  explicit Asking(QString settingsFile) : settings(std::move(settingsFile)) {}
  virtual ~Asking() = default;

  /// A file that is there; empty when none was chosen.
  virtual QString fileToOpen(QWidget* parent, const QString& title, const QString& start, const QString& filters);
  /// Where to write; `chosen` takes the filter. Empty when it was left.
  virtual QString fileToWrite(QWidget* parent, const QString& title, const QString& start, const QString& filters,
                              QString* chosen = nullptr);
  virtual QString folderToWrite(QWidget* parent, const QString& title, const QString& start);
  virtual Unsaved aboutUnsaved(QWidget* parent, const QString& wing);
  virtual void tell(QWidget* parent, const QString& title, const QString& words);

private:
  QString from(const QString& start) const;
  QString remember(const QString& chosen) const;
  QString settings;
};

} // namespace eup::app
