// Blocks between ribs that something is held by: where each lies, what room it has, and its pieces.
#pragma once
#include "core/assembly/part.h"
#include "core/parts/frame.h"
#include <vector>

namespace eup {

struct HardPointMade {
  int number = 0;                    ///< index in PanelDesign::hardPoints
  Point3 middle{0, 0, 0};            ///< of the block, panel axes
  double there = 0;                  ///< mm of depth between the covers at its shallowest corner
  double bay = 0;                    ///< mm clear between the ribs beside it
  int ribInside = 0, ribOutside = 0; ///< numbers
  bool offPanel = false;             ///< its middle lies on no place of the panel
  bool onSpar = false;               ///< a spar's wood runs through it
  double length = 0;                 ///< mm: as decided, or what the bay lets it be
};

/// Of a panel of ribs.
std::vector<HardPointMade> hardPointsOf(const PanelBrief& design, const PanelLoft& loft, const Frame& frame);
/// Each block, and the two doublers of its ribs: strips of ply about the block's place.
std::vector<Part> partsOfHardPoints(const PanelBrief& design, const PanelLoft& loft, const Frame& frame,
                                    const std::vector<HardPointMade>& points);

/// A doubler on a rib beside a block, chord axes: the rib's own outline from so far before the block to so far behind
/// it.
Region doublerOn(const PanelBrief& design, const Rib& rib, const HardPoint& point);

} // namespace eup
