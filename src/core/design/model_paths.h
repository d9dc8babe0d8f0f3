// Which decisions belong to the whole model and not to one panel: a figure or a finding of a panel names them as they
// are.
#pragma once
#include "core/design/panel_brief.h"

namespace eup {

/// Those that every trade knows, and how foam is cut.
inline bool isOfModel(std::string_view path) {
  return ofWholeModel(path) || path.starts_with("wire.");
}

} // namespace eup
