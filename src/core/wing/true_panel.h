// One panel of a finished wing: all that the trades make of its decisions.
#pragma once
#include "core/assembly/part.h"
#include "core/foam/foam_core.h"
#include "core/joins/joiner.h"
#include "core/joins/panel_join.h"
#include "core/joins/setting_up.h"
#include "core/parts/frame.h"
#include "core/parts/hard_points.h"
#include "core/parts/tip.h"
#include "core/skins/holds.h"
#include "core/skins/sheet_panel.h"
#include "core/skins/skin_list.h"
#include "core/strength/panel_strength.h"
#include "core/strength/part_masses.h"
#include "core/surfaces/surface_made.h"

namespace eup {

/// One panel of the right half: trade by trade, in the order in which it follows.
struct TruePanel {
  // What the compiler makes for it is made once, in true_wing.cpp: it is used nearly everywhere.
  TruePanel(PanelBrief brief, PanelShape of);
  TruePanel(const TruePanel&);
  TruePanel(TruePanel&&) noexcept;
  TruePanel& operator=(const TruePanel&);
  TruePanel& operator=(TruePanel&&) noexcept;
  ~TruePanel();

  PanelBrief design; ///< what it follows from
  PanelShape shape;
  Frame frame; ///< what it is built of
  std::optional<TipShape> tip;
  PanelJoin join; ///< at its inner end
  std::optional<JoinerRod> joiner;
  SettingUp settingUp;
  std::optional<SheetPanelMade> sheet; ///< of a panel without ribs
  std::vector<Skin> skins;             ///< laid flat
  std::optional<FoamMade> foam;        ///< of a panel of foam
  std::vector<SurfaceMade> surfaces;   ///< on hinges
  std::vector<HardPointMade> hardPoints;
  std::vector<Space> spaces; ///< shut for good when their sheet is on
  std::vector<Hold> holds;   ///< to be looked at before those close it in
  std::vector<Part> parts;   ///< every piece once
  PanelMass mass;
  PanelStrength strength;

  const Rib& rib(int number) const { return frame.rib(number); }
};

} // namespace eup
