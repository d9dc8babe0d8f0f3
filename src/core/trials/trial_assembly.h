// A trial assembly: the wing put together again from its flat parts, as they are cut and as the bench card tells them.
// Ribs are slid on to straight spars at their notches and let down on to their packing; panels are joined by their
// braces or by their sawn ends. How far that is from the surface that was decided shows whether what is told belongs
// together; a fault put in shows what it does to the finished wing.
#pragma once
#include "core/wing/true_wing.h"
#include <optional>

namespace eup {

/// What a careful builder can no longer see or measure: mm, and degrees.
inline constexpr double trialSeen = 0.05, trialSeenDeg = 0.02;
inline constexpr double mostFault = 20; ///< mm or degrees: beyond that nothing would fit at all

struct AssemblyFault {
  enum class What {
    notch,   ///< mm too deep, of the first notch or slot that the rib is seated by
    packing, ///< mm too high, under the rib's tail
    brace    ///< rad too much bend, of the first brace of the panel's join
  } what = What::notch;
  int panel = 0; ///< from the middle outwards
  int rib = 1;   ///< counted through the wing
  double by = 0;
};

struct AssembledRib {
  int rib = 1;
  double off = 0;    ///< mm: the farthest that its outline lies from the panel's surface
  double turned = 0; ///< rad more nose down than it should be
  double up = 0;     ///< mm that its seat stands too high, square to the panel
  /// mm: the least clearance on either side of a sheet spar in its slot, or of a rib in a half-lap, all through the
  /// thickness of both; negative where it cannot slide in. Nothing where the rib has no such slot.
  std::optional<double> room{};
};

/// A straight strip between the joins at its ends.
struct AssembledStrip {
  std::string name;
  double shortBy = 0; ///< mm that the length on the list is less than it takes between the planes of the joins
};

struct AssembledPanel {
  std::vector<AssembledRib> ribs;
  std::vector<AssembledStrip> strips;
  double off = 0, turned = 0; ///< the worst of them
  double gamma = 0;           ///< rad to the horizontal, as its join makes it
  Point3 tip{0, 0, 0};        ///< its tip rib's nose point in space, and
  double tipOff = 0;          ///< mm from where it should be
};

struct Assembly {
  std::vector<AssembledPanel> panels;
  double off = 0, turned = 0; ///< the worst rib's
  std::optional<double> room; ///< the tightest slot's, see `AssembledRib::room`
  double tipOff = 0;          ///< of the wing's own tip
  double strip = 0;           ///< mm: the most that a strip's length on the list differs from what it takes
};

/// Of the right hand; the left is its mirror image. Ribs that have two feet stand on them, packing under the tail being
/// what lies under the rear one. The others are seated by the lower cap of the panel's first spar that
/// reaches them (or its upper cap, or its slot), and by the packing under their tails; without a spar by the packing
/// under nose and tail. A rib that nothing seats stays where it was drawn.
Assembly assembled(const WholeWing& wing, const std::vector<AssemblyFault>& faults = {});

} // namespace eup
