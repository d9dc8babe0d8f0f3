// What is decided of the loads.
#pragma once
#include "core/design/tables.h"
#include "core/measure/choice.h"
#include <string>
#include <vector>

namespace eup {

inline constexpr int mostShares = 60; ///< in a table of lift
inline constexpr double mostShare = 1000;

enum class LoadShape { schrenk, ellipse, chord, table };
inline constexpr std::array loadShapeChoices{Choice{"schrenk", "Schrenk"}, Choice{"ellipse", "ellipse"},
                                             Choice{"chord", "by chord"}, Choice{"table", "own table"}};
static_assert(loadShapeChoices.size() == wordsFor(LoadShape::table));

struct Flying {
  double mass = 1400;             ///< g, whole model
  std::string kind{typedFactors}; ///< a key of the table of load factors, or typed
  double loadFactor = 6;          ///< as typed: pulling up
  double pushFactor = 0;          ///< and pushing over; 0 where that is not flown
  LoadShape shape = LoadShape::schrenk;
  std::vector<double> table{1, 1, 0.95, 0.85, 0.6}; ///< of LoadShape::table: lift per mm at even steps, root to tip
  bool relief = false;                              ///< the wing's own mass pulls against its lift
  double airSpeed = 12;                             ///< m/s, at which a gust is met
  double gust = 0;                                  ///< m/s upwards; 0 for none
  double linePull = 0;                              ///< N, of a winch or a throw, on top of the weight; 0 for none
  double tipTouch = 0;      ///< landing on a tip: the force there in multiples of the weight; 0 for none
  double diveSpeed = 0;     ///< m/s, for the wing's twist; 0 for none
  double aileronChord = 0;  ///< share of the chord, to the tip; 0 for none
  double aileronFrom = 0.5; ///< share of the half span where it begins
  double twistCouple = 500; ///< N·mm, of the twist test: a pair of forces at the tip rib's nose and tail
  bool operator==(const Flying&) const = default;
};

} // namespace eup
