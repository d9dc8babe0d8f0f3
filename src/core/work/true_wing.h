// Everything that follows from a design. Computed whole by `work`, never stored, never edited.
#pragma once
#include "core/foam/foam_core.h"
#include "core/joins/in_space.h"
#include "core/joins/joiner.h"
#include "core/joins/panel_join.h"
#include "core/joins/setting_up.h"
#include "core/measure/finding.h"
#include "core/parts/frame.h"
#include "core/parts/hard_points.h"
#include "core/parts/part.h"
#include "core/parts/tip.h"
#include "core/plan/judge.h"
#include "core/skins/holds.h"
#include "core/skins/sheet_panel.h"
#include "core/skins/skin_list.h"
#include "core/strength/panel_strength.h"
#include "core/strength/part_masses.h"
#include "core/strength/soft_wing.h"
#include "core/strength/struts.h"
#include "core/surfaces/surface_made.h"

#include <memory>
#include <mutex>

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
  std::vector<Hold> holds; ///< to be looked at before those close it in
  std::vector<Part> parts; ///< every piece once
  PanelMass mass;
  PanelStrength strength;

  const Rib& rib(int number) const { return frame.rib(number); }
};

/// What is told of a wing's other hand where it is not the mirror image of this one.
struct OtherHand {
  Planform planform;
  double fromAbove = 0;             ///< mm, half span seen from above
  double tipArea = 0, tipReach = 0; ///< of what stands beyond the tip rib
  std::vector<double> grams;        ///< of its pieces, by panel
  std::vector<int> pieces;          ///< and how many are its own
};

/// One wing: its panels from the middle outwards, and what only all of them together have.
struct WholeWing {
  WholeWing();
  WholeWing(const WholeWing&);
  WholeWing(WholeWing&&) noexcept;
  WholeWing& operator=(const WholeWing&);
  WholeWing& operator=(WholeWing&&) noexcept;
  ~WholeWing();

  std::vector<TruePanel> panels;
  Planform planform;
  double effectiveDihedral = 0;    ///< rad
  double fromAbove = 0;            ///< mm, half span seen from above
  double tipRise = 0;              ///< mm, of the outermost tip over the root, along the chord lines
  std::vector<LoadCase> loads;     ///< pulling up first
  double tipDeflection = 0;        ///< mm, all panels' bending together, each under the load that is worst at its root
  std::optional<SoftWing> soft;    ///< where every panel has a twist test
  std::vector<PanelFrame> inSpace; ///< of each panel in the finished wing
  bool mirrored = true;            ///< has a left hand too
  std::optional<OtherHand> other;  ///< where the hands differ
  HeldWing held;                   ///< by struts and wires

  /// Stations, and with them ribs, are numbered through all panels.
  int stationCount() const { return panels.back().shape.stations.all.back().number; }
  /// The panel that the station of that number belongs to; the nearest for a number that is not there.
  const TruePanel& panelAt(int station) const;
};

/// Both its halves, alike or not.
inline Planform bothHands(const WholeWing& w) {
  return w.other ? together(w.planform, w.other->planform) : w.planform;
}

struct TrueWing {
  TrueWing();
  TrueWing(const TrueWing&);
  TrueWing(TrueWing&&) noexcept;
  TrueWing& operator=(const TrueWing&);
  TrueWing& operator=(TrueWing&&) noexcept;
  ~TrueWing();

  Design design;   ///< what it follows from
  JudgedPlan plan; ///< the paper plan, as far as it was read
  std::vector<WholeWing> wings;
  double gustFactor = 1;                ///< load factor of the gust
  std::shared_ptr<const TrueWing> left; ///< whose right hand is this one's left; null while that is the mirror image
  std::vector<Finding> findings;

  /// Figures are written when they are asked for, and once: a change on screen asks for those of one stage. May be
  /// asked from several threads. What they are told of is not changed after that.
  const std::vector<Figure>& figures(Stage stage) const;
  /// Of all stages, in the order of work; then what is another of a left hand of its own, its key under "left.".
  std::vector<Figure> figures() const;
  const Figure* figure(std::string_view key) const;
  const WholeWing& main() const { return wings.front(); }
  const WholeWing& wing(int number) const { return wings.at(static_cast<std::size_t>(number)); }
  const TruePanel& at(PanelId id) const {
    return wings.at(static_cast<std::size_t>(id.wing)).panels.at(static_cast<std::size_t>(id.panel));
  }
  /// The main wing's innermost panel.
  const TruePanel& inner() const { return at({}); }
  /// What that hand is built from: as a right hand, to be turned over for the left.
  const TrueWing& of(Hand hand) const { return hand == Hand::left && left ? *left : *this; }

private:
  struct Told {
    std::array<std::once_flag, std::size(allStages)> once;
    std::array<std::vector<Figure>, std::size(allStages)> figures;
  };
  std::shared_ptr<Told> written = std::make_shared<Told>();
};

/// The wing that follows from the design; or, when its decisions contradict each other, the findings that say why
/// there is none. Pure: the same design gives the same wing.
std::variant<TrueWing, std::vector<Finding>> work(const Design& design);

} // namespace eup
