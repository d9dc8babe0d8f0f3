#include "app/asking.h"
#include <QFileDialog>
#include <QFileInfo>
#include <QMessageBox>
#include <QSettings>

namespace eup::app {

namespace {
const char* const lastFolder = "lastFolder";
}

/// A name without a folder is looked for in the one that was used last.
QString Asking::from(const QString& start) const {
  if (QFileInfo(start).isAbsolute()) return start;
  const QString last = QSettings(settings, QSettings::IniFormat).value(lastFolder).toString();
  return last.isEmpty() ? start : last + "/" + start;
}

QString Asking::remember(const QString& chosen) const {
  if (!chosen.isEmpty()) {
    const QFileInfo info(chosen);
    QSettings(settings, QSettings::IniFormat)
        .setValue(lastFolder, info.isDir() ? info.absoluteFilePath() : info.absolutePath());
  }
  return chosen;
}

QString Asking::fileToOpen(QWidget* parent, const QString& title, const QString& start, const QString& filters) {
  return remember(QFileDialog::getOpenFileName(parent, title, from(start), filters));
}

QString Asking::fileToWrite(QWidget* parent, const QString& title, const QString& start, const QString& filters,
                            QString* chosen) {
  return remember(QFileDialog::getSaveFileName(parent, title, from(start), filters, chosen));
}

QString Asking::folderToWrite(QWidget* parent, const QString& title, const QString& start) {
  return remember(QFileDialog::getExistingDirectory(parent, title, from(start)));
}

Asking::Unsaved Asking::aboutUnsaved(QWidget* parent, const QString& wing) {
  switch (QMessageBox::question(parent, QObject::tr("Not saved"),
                                QObject::tr("%1 has changes that are not saved.").arg(wing),
                                QMessageBox::Save | QMessageBox::Discard | QMessageBox::Cancel, QMessageBox::Save)) {
  case QMessageBox::Save:
    return Unsaved::save;
  case QMessageBox::Discard:
    return Unsaved::discard;
  default:
    return Unsaved::cancel;
  }
}

void Asking::tell(QWidget* parent, const QString& title, const QString& words) {
  QMessageBox::information(parent, title, words);
}

} // namespace eup::app
