// Drawings as DXF (release AC1015): millimetres, layers CUT, MARK, TEXT.
#pragma once
#include "core/drawing/drawing.h"
#include "core/measure/result.h"
#include <string>

namespace eup {

/// Closed loops become closed polylines, texts single-line texts.
Result<std::string> toDxf(const Drawing& drawing);

} // namespace eup
