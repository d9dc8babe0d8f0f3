// The core's texts on screen.
#pragma once
#include <QDateTime>
#include <QLocale>
#include <QString>
#include <string>

namespace eup::app {

inline QString inWords(const std::string& text) {
  return QString::fromStdString(text);
}

/// "1 Dec 18:00" of "2026-12-01 18:00"; the year stands in the tip.
inline QString shortly(const QString& moment) {
  const QDateTime at = QDateTime::fromString(moment, "yyyy-MM-dd HH:mm");
  return at.isValid() ? QLocale::c().toString(at, "d MMM HH:mm") : moment;
}

} // namespace eup::app
