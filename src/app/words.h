// The core's texts on screen.
#pragma once
#include <QString>
#include <string>

namespace eup::app {

inline QString inWords(const std::string& text) {
  return QString::fromStdString(text);
}

} // namespace eup::app
