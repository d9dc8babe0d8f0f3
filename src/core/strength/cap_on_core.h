// What a spar's pressed cap lies on.
#pragma once
#include "core/design/panel_brief.h"

namespace eup {

/// The material's key of the core that it wrinkles on, however far ribs stand apart: that of a panel of foam, foam
/// between ribs where no webs stand in its place, or a core in place of webs. Null for a cap that buckles from rib to
/// rib.
inline const std::string* coreUnder(const PanelBrief& d, const Spar& spar) {
  if (spar.webs == Webs::core) return &spar.webMaterial;
  return spar.webs == Webs::none && (d.built == Built::foam || d.foam.between) ? &d.foam.material : nullptr;
}

/// The decision that says so, of a spar whose decisions begin with `path`.
inline std::string coreDecision(const PanelBrief& d, const Spar& spar, const std::string& path) {
  return coreUnder(d, spar) == &d.foam.material ? "foam.material" : path + ".webMaterial";
}

} // namespace eup
