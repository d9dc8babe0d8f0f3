// A panel of sheet, without ribs: its blank, what is planed off it, where it is gauged.
#pragma once
#include "core/assembly/part.h"
#include "core/parts/frame.h"
#include "core/parts/parted_body.h"
#include "core/parts/tip.h"
#include "core/skins/skin_list.h"

namespace eup {

/// As its sections are: two flat plates lie flat, two curved ones are bent over formers, all else is carved.
enum class SheetWay { flat, bent, carved };
SheetWay sheetWayOf(const PanelBrief& design);

/// Where so much is left of the sheet when it is planed: a line of the blank.
struct CarveLine {
  double left = 0; ///< mm from the underside to the upper side
  Polyline line;
};

/// On the blank x runs aft from the root's leading edge and y outwards, along the front edge of what is not carved.
struct SheetPanelMade {
  SheetWay way = SheetWay::flat;
  Polyline outline;            ///< closed; behind the leading edge's strip, without surfaces of their own wood
  Polyline strip;              ///< closed, the leading edge's strip on the blank; empty without
  std::vector<Polyline> seams; ///< between the boards that are edge-joined
  std::vector<SkinLine> stations;
  std::vector<CarveLine> carving;
  std::vector<SawnLine> sawn; ///< where surfaces on hinges are parted from it
  Polyline tip; ///< what of the outline lies beyond the last station, from the leading edge; empty for a square one
  double area = 0, length = 0, width = 0; ///< of the outline, and of its box along the front edge
  int boards = 1;                         ///< side by side
  double boardLength = 0, boardWidth = 0; ///< of each, along its grain and across
  double needs = 0;                       ///< mm: as thick as the sheet must be, and
  int needsAt = 1;                        ///< the station that asks for it
  double bend = 0;                        ///< radius of its outer face where it is bent; 0 for none
  double stripLength = 0;
};

/// Nothing of a panel of ribs.
std::optional<SheetPanelMade> sheetPanelOf(const PanelBrief& design, const PanelShape& shape, const Frame& stations,
                                           const std::optional<TipShape>& tip);

/// Height of the panel over a station's chord line, and under it: of wood alone, at a chord fraction.
struct SheetDepth {
  double above = 0, below = 0;
  double deep() const { return above - below; }
};
SheetDepth sheetDepthAt(const PanelLoft& loft, double fraction, double t);

/// Under the sheet at a station, from the nose to the tail on a straight base, in chord axes; closed.
Polyline formerAt(const PanelLoft& loft, double t);

/// Its pieces: the sheet in its boards, the strip, formers, cloth.
std::vector<Part> partsOfSheetPanel(const PanelBrief& design, const PanelLoft& loft, const Frame& stations,
                                    const SheetPanelMade& made);

} // namespace eup
