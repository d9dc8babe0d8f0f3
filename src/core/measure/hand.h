// Which half of the wing: seen by the pilot.
#pragma once
#include "core/measure/choice.h"

namespace eup {

enum class Hand { right, left };
inline constexpr std::array handChoices{Choice{"right", "right"}, Choice{"left", "left"}};
static_assert(handChoices.size() == wordsFor(Hand::left));
const char* name(Hand hand);      ///< "right"
const char* nameLarge(Hand hand); ///< "RIGHT"

} // namespace eup
