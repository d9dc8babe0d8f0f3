// The model's mass and balance: pieces, reckoned or weighed, glue, what is aboard, and the neutral point.
#pragma once
#include "core/balance/neutral_point.h"
#include "core/wing/true_wing.h"

namespace eup {

/// A surface that lifts and its name.
struct BalancedWing {
  std::string name;
  LiftingSurface surface; ///< with its tips
  double grams = 0;       ///< its pieces, both hands, weighed ones as weighed
  double glue = 0;        ///< and what glues them
};

struct ModelBalance {
  MassPoint pieces, glue, aboard, all;
  std::vector<BalancedWing> wings; ///< those that lift: no fins
  NeutralPoint neutral;
  double meanChord = 0, meanChordLe = 0;        ///< of the main wing
  double wanted = 0;                            ///< mm aft: where it should balance for the margin that is decided
  std::optional<double> wingMove;               ///< mm aft: the main wing alone, so that the margin is as decided
  double area = 0, aspect = 0;                  ///< of the main wing with its tips
  double rightMore = 0;                         ///< g mm: moment to the right of all that is placed
  double tipOut = 0;                            ///< mm: the main wing's tip from the middle, seen from above
  int weighed = 0;                              ///< pieces, of one hand each
  double weighedMore = 0;                       ///< g that they weigh more than was reckoned
  std::vector<std::string> gone;                ///< weighed pieces that the wings have not
  bool lifts() const { return !wings.empty(); } ///< else there are fins alone, and no neutral point
  /// The whole model is there to balance; else it is the wings alone that do.
  bool complete() const { return lifts() && aboard.grams > 0; }
};

ModelBalance balanceOf(const TrueWing& aircraft);

} // namespace eup
