// Finding the middle of an inked line near where a reader pointed, finer than a pixel.
#pragma once
#include "core/plan/plan_image.h"
#include <optional>

namespace eup {

enum class SnapTo { line, crossing };

struct Snap {
  Point at{0, 0};
  SnapTo to = SnapTo::line;
  double direction = 0; ///< line: rad against the picture's x, y down
};

/// A crossing or corner of lines within `reach` pixels wins over a line; nothing when there is no ink. A line's middle
/// is the weighted middle of its darkness square to it, a crossing the place nearest to all its arms' middles.
std::optional<Snap> snap(const Raster& raster, const Point& pixel, double reach);

/// Reach that suits a resolution: 1.2 mm, at least 5 pixels.
double snapReach(double mmPerPixel);

} // namespace eup
