// Which half of the wing: seen by the pilot.
#pragma once

namespace eup {

enum class Hand { right, left };
const char* name(Hand hand);      ///< "right"
const char* nameLarge(Hand hand); ///< "RIGHT"

} // namespace eup
