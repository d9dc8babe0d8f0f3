#include "core/foam/wire_marks.h"
#include <algorithm>

namespace eup {

bool isCalled(const FoamCore& core, const WireMark& mark) {
  for (const CoreEnd* end : {&core.inner, &core.outer}) {
    const auto same =
        std::find_if(end->marks.begin(), end->marks.end(), [&](const WireMark& m) { return m.number == mark.number; });
    if (same == end->marks.end()) return false;
    // A corner is where a face of the path begins or ends.
    for (std::size_t i = 0; i < end->path.size(); ++i) {
      const bool corner = i == 0 || i + 1 == end->path.size() || end->path[i].face != end->path[i - 1].face ||
                          end->path[i].face != end->path[i + 1].face;
      if (corner && (end->path[i].at - same->wire).norm() < 1e-3) return false;
    }
  }
  return true;
}

} // namespace eup
