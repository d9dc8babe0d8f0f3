// Colours, fonts and the style sheet: drawing-office calm, light or dark.
#pragma once
#include <QColor>
#include <QFont>
#include <QString>

namespace eup::app {

struct Look {
  bool dark = false;
  QColor paper, grid, ink, faint;  // the board and what is drawn on it
  QColor rail, panel, field, edge; // the furniture around it
  QColor accent, accentSoft, wrong, wrongSoft, good;
  QColor balsa, hardwood, ply, sheet, stock, foam; // parts, filled by material
};

Look lightLook();
Look darkLook();
QString styleSheet(const Look& look);

/// Makes the shipped fonts and icons known, and answers the fonts' family.
QString loadShippedFonts();

} // namespace eup::app
