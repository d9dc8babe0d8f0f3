// The shipped catalogue: sections that can be generated from published equations or from a few numbers.
#pragma once
#include "core/section/measured.h"
#include "core/section/section_choice.h"

namespace eup {

struct CatalogueEntry {
  std::string name, family, source;
  SectionChoice choice;
  SectionMeasures measures;
};

/// In order of family and name. Made at the first call.
const std::vector<CatalogueEntry>& catalogue();

/// What to look for: words of the name or family, ranges in chord fractions, an underside flat over half the chord.
struct CatalogueQuery {
  std::string words;
  double thicknessFrom = 0, thicknessTo = 1;
  double camberFrom = 0, camberTo = 1;
  bool flatUnderside = false;
};
std::vector<const CatalogueEntry*> search(const CatalogueQuery& query);

} // namespace eup
