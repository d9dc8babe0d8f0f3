// Drawings as SVG: millimetres, one group a layer.
#pragma once
#include "core/drawing/drawing.h"
#include <string>

namespace eup {

/// width and height in mm; the view box is in mm too, so that 1 unit is 1 mm whatever opens it.
std::string toSvg(const Drawing& drawing);

} // namespace eup
