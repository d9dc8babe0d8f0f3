// Spars as truly straight strips: where their faces run, rib by rib.
#pragma once
#include "core/loft/straight_line.h"
#include "core/parts/surface_place.h"
#include <optional>
#include <vector>

namespace eup {

/// A slot of a sheet spar, mm of the panel's span.
struct SheetSlot {
  double from = 0, to = 0;
};

/// One spar, straight from the root to the tip. Each cap runs from its face's point of the root's chord fraction to
/// that of the tip's: where the fraction stays the same it lies on one of the panel's own straight lines. Caps are
/// upright to the root chord and not twisted, so that their inner faces lie in line through every rib. A spar that
/// stops early ends on that line.
struct SparLine {
  int index = 0;
  double rootFraction = 0, tipFraction = 0;
  StraightLine upperSeat, lowerSeat; ///< the caps' outer faces, on the rib under its sheet or cap strips
  StraightLine middle;               ///< half way between the seats
  double planRoot = 0, planTip = 0;  ///< x of the line on the plan (on the chord line), at root and tip
  double sweep = 0;               ///< rad, aft positive, as drawn on the plan: on the chord line, in the panel's plane
  double end = 0;                 ///< where it ends, mm of the panel's span
  double stretch = 1;             ///< 1 / cos(sweep): how much wider the spar is in the rib's plane
  double worstGap = 0;            ///< greatest distance between the straight seat lines and the curved seat
  double worstGapAt = 0;          ///< and at which t
  std::vector<SheetSlot> slots{}; ///< of a sheet spar, from the root outwards, once its ribs are cut
  bool reaches(double t) const { return t <= end + 1e-6; }
  /// How far along the spar's own run that is.
  double share(double t) const { return end > 0 ? t / end : 0; }
  /// Where the line crosses the chord line of a rib, from its nose.
  double chordX(const ChordFrame& frame) const;
};

/// The spar that blocks and first figures go by: the first with a cap, else the first; nothing without spars.
std::optional<int> mainSpar(const PanelDesign& design);

std::vector<SparLine> sparLines(const PanelBrief& design, const PanelLoft& loft);

/// Where the loft's own surface lies above or below a straight line at t, at the line's x: z of the face.
double surfaceHeightAt(const Cut& cut, Face face, double x);

/// What of the ribs runs over the spars: the strips of stick ribs. mm, square to the surface.
double overSpars(const PanelDesign& design);

/// How far below the surface, upright, the wood under its cover, and under so much `more` square to the surface, lies
/// at a point of a face: t ÷ cos(slope).
double coverDrop(const PanelBrief& design, const PanelLoft& loft, const Cut& cut, Face face, const Point& onSurface,
                 double more = 0);

/// The depth between the middles of two caps; nothing for another kind of spar, or where they meet.
std::optional<double> capMiddles(const Spar& spar, const SparLine& line, double t);

/// Where what stands between two caps, or on their faces, stands at t: its ends' heights in the panel's axes, and how
/// far aft of the spar's line its middle lies.
struct WebStand {
  double low = 0, high = 0, aft = 0;
};
WebStand webStandAt(const Spar& spar, const SparLine& line, double t);

} // namespace eup
