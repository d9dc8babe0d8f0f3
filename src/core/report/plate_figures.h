// What is told of panels that bear as one plate, of sheet or of foam: stiffness, reserves, and how their tips are
// packed.
#pragma once
#include "core/report/finder.h"
#include "core/report/report_parts.h"

namespace eup {

struct PlateTold {
  Stage stage;
  std::string key;                          ///< what the keys begin with, as in "sheet."
  const char* bears;                        ///< whose reserve that is, as in "Wood"
  const char* layers;                       ///< whose stiffness is added up
  std::vector<std::string> stiffBy, loadBy; ///< decisions that it follows from, and those of its stress
};

/// Stiffness of the whole section, and reserve of what bears on it.
void plateFigures(const TruePanel& panel, const PlateTold& told, FigureList& out);
/// How far it twists; none where that is not reckoned.
void plateTwistFigure(const TruePanel& panel, const PlateTold& told, const char* rule, const char* source,
                      FigureList& out);

/// Heights of the tip's chord line over the lower of its ends, or over the root's where that is lower, the root's level
/// on the board.
struct TipCorners {
  double leading = 0, trailing = 0;
};
TipCorners tipCorners(const TruePanel& panel);
/// Both of them; `label` has "{}" where LE or TE comes.
void packingFigures(const TruePanel& panel, Stage stage, const std::string& key, const char* label, const char* where,
                    FigureList& out);

/// Nothing where the reserve is what is usual.
void sayLittleReserve(Finder f, Stage stage, const std::string& key, const char* what, double reserve, double at,
                      const char* cure, std::vector<std::string> decisions);

} // namespace eup
