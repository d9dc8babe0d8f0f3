// Tables of words on cards.
#pragma once
#include "core/drawing/drawing.h"

namespace eup {

inline constexpr double tableRow = 4.6; ///< mm

/// Columns at those places (mm), the first row its head.
Drawing tableOf(const std::string& head, const std::vector<double>& columns,
                const std::vector<std::vector<std::string>>& rows);

} // namespace eup
