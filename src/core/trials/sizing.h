// Sizes a spar: the lightest of stock sizes and chosen woods that keeps a reserve under every load.
#pragma once
#include "core/measure/progress.h"
#include "core/wing/true_wing.h"

namespace eup {

struct SizingOrder {
  int spar = 0;                                                      ///< index
  double reserve = 2;                                                ///< least of every check in every bay, > 0
  std::vector<double> stock{1.5, 2, 3, 4, 5, 6, 8, 10};              ///< mm, widths and depths at hand
  std::vector<std::string> materials{"balsa-160", "spruce", "pine"}; ///< keys; both caps of the same
  bool mayTaper = true;                                              ///< in width, to a size of the stock
  bool mayStep = false; ///< of two strips up to a quarter or a half of the spar's length, of one beyond
  bool operator==(const SizingOrder&) const = default;
};

struct SparSize {
  Spar spar;          ///< as decided, with the new sizes
  double grams = 0;   ///< of the spar without webs, one hand, this panel
  double reserve = 0; ///< what it keeps
};

/// Most candidates that are looked at: stock sizes are taken from the list's start until they would be more.
inline constexpr std::size_t mostSizes = 60000;

/// Lightest first, at most `many`; among equals the one with more in reserve. Empty when none keeps the reserve. A
/// spar of caps keeps those that are fitted; a wood change along a cap is given up, and
/// what is round becomes a strip. Caps together take at most 0.8 of
/// the depth at either end. Stopped by its progress, it answers what it has found. The other spars stay as they are and
/// share the load by stiffness.
std::vector<SparSize> sparSizes(const TruePanel& panel, const std::vector<LoadCase>& loads, const SizingOrder& order,
                                std::size_t many = 12, const Progress& progress = {});

/// The least reserve of that spar in all bays, if it were like this; nothing where no bay checks it.
std::optional<double> reserveOf(const TruePanel& panel, const std::vector<LoadCase>& loads, int index,
                                const Spar& spar);
/// What it weighs without webs, g.
double gramsOf(const TruePanel& panel, int index, const Spar& spar);

} // namespace eup
