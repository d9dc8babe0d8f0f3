// What a change concerns, so that a view refreshes what it shows of it and nothing else.
#pragma once
#include <QFlags>

namespace eup::app {

enum class Aspect {
  design = 1,   ///< a decision
  wing = 2,     ///< what follows: shapes and figures
  findings = 4, ///< some came, went or changed their words
  file = 8,     ///< its path, or whether it is saved
  stage = 16,   ///< another stage
  place = 32,   ///< another wing, panel or rib
  subject = 64, ///< another thing that is decided
  view = 128,   ///< the hand, what is laid over, the finished wing in space
};
Q_DECLARE_FLAGS(Changes, Aspect)
Q_DECLARE_OPERATORS_FOR_FLAGS(Changes)

inline constexpr Changes everything{Aspect::design | Aspect::wing | Aspect::findings | Aspect::file | Aspect::stage |
                                    Aspect::place | Aspect::subject | Aspect::view};

} // namespace eup::app
