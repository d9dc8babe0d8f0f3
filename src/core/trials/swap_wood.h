// Swaps a cap's wood: the size that another wood needs for the same stiffness or the same strength, and what it costs.
#pragma once
#include "core/trials/sizing.h"

namespace eup {

enum class SwapKeeps { stiffness, strength };
enum class SwapBy { width, depth };

struct WoodSwap {
  Cap cap;               ///< of the other wood, with its new size
  double gramsMore = 0;  ///< one hand, this panel; negative when it is lighter
  double gluePerRib = 0; ///< mm² between the cap and a rib of that thickness: bottom and sides of its notch
  double glueLost = 0;   ///< mm² less than before; negative when there is more
  double gusset = 0;     ///< mm, legs along the cap of two corner gussets as thick as the rib that win it back; else 0
  double reserve = 0;    ///< of the spar's weakest bay then
};

/// That cap in the other wood, its width or its depth changed all along in the same proportion until the spar's EI at
/// the panel's root, or this cap's own reserve there, is what it was. Nothing when no size between 0.05 and 20 times
/// the old does it, or when the other cap would be met. The spar is one of caps, the cap fitted.
std::optional<WoodSwap> swapWood(const TruePanel& panel, const std::vector<LoadCase>& loads, int spar, Face face,
                                 const std::string& material, SwapKeeps keeps, SwapBy by);

} // namespace eup
