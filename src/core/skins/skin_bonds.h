// The glue joints of what closes a panel in, and of a panel that is of sheet alone.
#pragma once
#include "core/parts/frame_bonds.h"
#include "core/skins/sheet_panel.h"
#include "core/skins/skin_list.h"

namespace eup {

/// Sheet on ribs, riblets, caps, edges and its own next piece, its layers on each other, and cloth on sheet. `parts`
/// are all of the panel's. Of a panel of foam: on its cores.
std::vector<Bond> bondsOfSkins(const PanelBrief& design, const Frame& frame, const std::vector<Skin>& skins,
                               const std::vector<Part>& parts);

/// Boards edge to edge, the strip along the nose, formers, cloth.
std::vector<Bond> bondsOfSheetPanel(const PanelBrief& design, const SheetPanelMade& made,
                                    const std::vector<Part>& parts);

/// What lies shut between sheet above and sheet below.
std::vector<Space> spacesUnder(const std::vector<Skin>& skins, const std::vector<Part>& parts);

} // namespace eup
