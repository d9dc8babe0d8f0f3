// Questions to the person and choosers of files, behind one seam: what a test answers, it answers here.
#pragma once
#include <QString>
#include <QStringList>
#include <QWidget>

namespace eup::app {

class Asking {
public:
  enum class Unsaved { save, discard, cancel };
  enum class Changed { replace, both, cancel };

  /// `settingsFile` remembers the folder that was used last.
  explicit Asking(QString settingsFile) : settings(std::move(settingsFile)) {}
  virtual ~Asking() = default;

  /// A file that is there; empty when none was chosen.
  virtual QString fileToOpen(QWidget* parent, const QString& title, const QString& start, const QString& filters);
  /// Where to write; `chosen` takes the filter. A name without an ending gets `suffix`; what is there already is not
  /// replaced unasked. Empty when it was left.
  QString fileToWrite(QWidget* parent, const QString& title, const QString& start, const QString& filters,
                      const QString& suffix, QString* chosen = nullptr);
  virtual QString folderToWrite(QWidget* parent, const QString& title, const QString& start);
  /// Whether these files, which are there already, may be replaced.
  virtual bool mayReplace(QWidget* parent, const QStringList& files);
  /// Another program has written the file meanwhile.
  virtual Changed aboutChanged(QWidget* parent, const QString& file);
  virtual Unsaved aboutUnsaved(QWidget* parent, const QString& wing);
  /// Something was typed at the bench and not recorded.
  virtual bool mayForget(QWidget* parent, const QString& typed);
  virtual void tell(QWidget* parent, const QString& title, const QString& words);

protected:
  /// What the person names, and whether a file of that very name may be replaced.
  virtual std::pair<QString, bool> nameToWrite(QWidget* parent, const QString& title, const QString& start,
                                               const QString& filters, QString* chosen);

private:
  QString from(const QString& start) const;
  QString remember(const QString& chosen) const;
  QString settings;
};

} // namespace eup::app
