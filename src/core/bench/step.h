// A step of the work at the bench: what is done, on what, with what, and what has to be done before it.
#pragma once
#include "core/assembly/bond.h"
#include "core/design/record_keys.h"
#include "core/design/tables.h"
#include "core/measure/figure.h"
#include "core/measure/hand.h"
#include <optional>
#include <string>
#include <vector>

namespace eup {

/// A piece of one hand, and which panel tells it; counted from 0, as they stand now.
struct PlacedPiece {
  int wing = 0, panel = 0;
  Hand hand = Hand::right;
  PieceId id;
  bool operator==(const PlacedPiece&) const = default;
  bool operator<(const PlacedPiece& o) const {
    return std::tie(wing, panel, hand, id) < std::tie(o.wing, o.panel, o.hand, o.id);
  }
};

/// The glue of one step.
struct GlueUp {
  int joints = 0;
  double length = 0, area = 0; ///< mm along them, and mm² of all their faces; cloth is not in them
  double grams = 0;            ///< to mix or to have at hand, what is left in the cup with it
};

struct Step {
  std::string key;       ///< stays the same while the wing has it: "1.2.right.ribsOn" (numbers of wing and panel, hand)
  std::string what;      ///< "Glue the ribs to the lower caps"
  std::string on;        ///< "R1 to R13, right hand"
  std::string with{};    ///< glue or tool; may be empty
  double minutes = 0;    ///< with hands on it: rough, common practice, no source
  double cureHours = 0;  ///< at the room's temperature, before what needs it can begin
  bool attended = false; ///< not to be left alone
  std::vector<std::string> needs;     ///< keys of steps
  std::string look{};                 ///< to be looked at before one goes on; may be empty
  std::string caution{};              ///< where it can hurt; may be empty
  std::string print{};                ///< key of the print that lies on the bench; may be empty
  std::vector<std::string> figures{}; ///< keys of figures to have at hand
  std::vector<PlacedPiece> makes{};   ///< that are cut or made ready
  std::vector<PlacedPiece> puts{};    ///< that go in: each at one step
  std::vector<PlacedPiece> works{};   ///< that are in already, or are not glued, and that it is about
  std::string goesIn{};               ///< the same that go in, in words: "R1 to R13 (13); main spar, top cap"
  GlueUp glue{};                      ///< of the joints that it makes
  int wing = 0;                       ///< where it stands now, counted from 0
  std::optional<int> panel{};         ///< likewise
  std::optional<Hand> hand{};         ///< nothing for what both have in common
  std::optional<int> outer{};         ///< of what is done to panels, from `panel` to this one, in that hand or in both
};

/// "27 joints, 12.1 cm², 2.1 g of glue"; empty for a step without glue.
std::string wordsOf(const GlueUp& glue, LengthUnit unit);

/// Hours until a joint of that glue can be handled on: the table's own at 20 °C, by the table's own for 10 °C through
/// both, where that is silent twice as long for every 10 K less (from memory); never more than eightfold off.
double cureHours(const Glue& glue, double celsius);
/// Minutes that a batch stays workable: half as long for every 10 K more (from memory).
double openMinutes(const Glue& glue, double celsius);

/// Resin for cloth over an area, in parts of resin to one of hardener.
struct MixtureAsked {
  double area = 0;                                   ///< mm² of cloth, all layers
  double arealWeight = 50;                           ///< g/m² of it
  double resinShare = 1;                             ///< g of resin to a g of cloth
  double waste = leftInTheCup;                       ///< of what is mixed, left in cup and brush
  double ratio = 2;                                  ///< parts of resin to one of hardener, > 0
  bool byVolume = false;                             ///< those parts are by volume
  double resinDensity = 1.15, hardenerDensity = 1.0; ///< g/cm³
  double largestBatch = 30;                          ///< g: more gets hot in the cup
};
struct Mixture {
  double grams = 0, resin = 0, hardener = 0;
  int batches = 1; ///< of equal size
};
Mixture mixtureFor(const MixtureAsked& asked);

/// What is still to be poured of a batch with so much in the cup, g: resin first.
struct StillToPour {
  double resin = 0, hardener = 0;
};
StillToPour stillToPour(const Mixture& mixture, double inTheCup);

} // namespace eup
