// Ways to stiffen a panel against twisting, tried side by side: what each gains for its grams.
#pragma once
#include "core/measure/progress.h"
#include "core/wing/true_wing.h"

namespace eup {

struct StiffeningTrial {
  std::string what;                       ///< in words
  void (*change)(PanelDesign&) = nullptr; ///< takes it; null for “as decided”
  double twist = 0;                       ///< rad, in the twist test
  double stiffer = 1;                     ///< as decided over this
  double grams = 0;                       ///< more than as decided, one hand
};

/// The panel as decided first, then each way alone, added to what is decided; ways that are already there are left out.
/// Empty where there is no frame to twist. Stopped by its progress, it answers what it has tried.
std::vector<StiffeningTrial> stiffeningTrials(const TruePanel& panel, const Progress& progress = {});

} // namespace eup
