#include "core/assembly/bond.h"

namespace eup {

double glueGrams(const Bond& bond) {
  constexpr double film = 150e-6, filling = 300e-6; // g/mm²
  const auto spread = [&] {
    switch (bond.use) {
    case GlueUse::frame:
    case GlueUse::skin:
    case GlueUse::facing:
    case GlueUse::foam:
      return film;
    case GlueUse::brace:
    case GlueUse::join:
    case GlueUse::ply:
      return filling;
    case GlueUse::cloth:
      return 0.0;
    }
    return 0.0;
  };
  return bond.area * spread() * (1 + leftInTheCup);
}

} // namespace eup
