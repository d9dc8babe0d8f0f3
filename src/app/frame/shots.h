// Pictures of every main view from the demo wing, for the documentation and for looking at.
#pragma once
#include <QString>
#include <QStringList>

namespace eup::app {

/// Writes the PNGs at 1280 × 800 into a folder and answers their paths; empty when one cannot be written.
QStringList writeShots(const QString& folder);

} // namespace eup::app
