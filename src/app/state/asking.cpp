#include "app/state/asking.h"
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
                            const QString& suffix, QString* chosen) {
  auto [path, agreed] = nameToWrite(parent, title, from(start), filters, chosen);
  if (path.isEmpty()) return {};
  if (QFileInfo(path).suffix().isEmpty()) {
    path += "." + suffix;
    agreed = false; // it was asked about another name, if it was
  }
  if (!agreed && QFileInfo::exists(path) && !mayReplace(parent, {path})) return {};
  return remember(path);
}

std::pair<QString, bool> Asking::nameToWrite(QWidget* parent, const QString& title, const QString& start,
                                             const QString& filters, QString* chosen) {
  return {QFileDialog::getSaveFileName(parent, title, start, filters, chosen), true};
}

bool Asking::mayReplace(QWidget* parent, const QStringList& files) {
  constexpr int most = 6;
  QStringList names;
  for (const QString& f : files.mid(0, most)) names << QFileInfo(f).fileName();
  if (files.size() > most) names << QObject::tr("and %1 more").arg(files.size() - most);
  QMessageBox box(QMessageBox::Question, QObject::tr("There already"),
                  files.size() == 1
                      ? QObject::tr("%1 is there already.").arg(names.front())
                      : QObject::tr("%1 of the files are there already:\n%2").arg(files.size()).arg(names.join("\n")),
                  QMessageBox::Cancel, parent);
  const auto* replace = box.addButton(QObject::tr("Replace"), QMessageBox::AcceptRole);
  box.setDefaultButton(QMessageBox::Cancel);
  box.exec();
  return box.clickedButton() == replace;
}

Asking::Changed Asking::aboutChanged(QWidget* parent, const QString& file) {
  QMessageBox box(QMessageBox::Warning, QObject::tr("Changed meanwhile"),
                  QObject::tr("%1 was written by another program, or in another window, since it was opened here.")
                      .arg(QFileInfo(file).fileName()),
                  QMessageBox::Cancel, parent);
  const auto* both = box.addButton(QObject::tr("Keep both"), QMessageBox::AcceptRole);
  const auto* replace = box.addButton(QObject::tr("Replace it"), QMessageBox::DestructiveRole);
  box.exec();
  return box.clickedButton() == both      ? Changed::both
         : box.clickedButton() == replace ? Changed::replace
                                          : Changed::cancel;
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

bool Asking::mayForget(QWidget* parent, const QString& typed) {
  QMessageBox box(QMessageBox::Warning, QObject::tr("Not recorded"),
                  QObject::tr("%1 was typed and is not recorded. Discard it and leave?").arg(typed),
                  QMessageBox::Cancel, parent);
  const auto* leave = box.addButton(QObject::tr("Discard what is typed"), QMessageBox::DestructiveRole);
  box.setDefaultButton(QMessageBox::Cancel);
  box.exec();
  return box.clickedButton() == leave;
}

void Asking::tell(QWidget* parent, const QString& title, const QString& words) {
  QMessageBox::information(parent, title, words);
}

} // namespace eup::app
