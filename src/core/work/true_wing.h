// Everything that follows from a design. Computed whole by `work`, never stored, never edited.
#pragma once
#include "core/joins/in_space.h"
#include "core/joins/joiner.h"
#include "core/joins/panel_join.h"
#include "core/joins/setting_up.h"
#include "core/measure/finding.h"
#include "core/parts/rib.h"
#include "core/parts/tip.h"
#include "core/plan/judge.h"
#include "core/section/measured.h"
#include "core/strength/bay_checks.h"
#include "core/strength/d_box.h"
#include "core/strength/joint_strength.h"
#include "core/strength/part_masses.h"
#include "core/strength/soft_wing.h"
#include "core/strength/spar_strength.h"
#include "core/strength/wing_frame.h"

#include <memory>
#include <mutex>

namespace eup {

/// One panel of the right half.
struct TruePanel {
  /// The rest follows, trade by trade, in `work`.
  TruePanel(PanelBrief brief, ShapedSection rootEnd, ShapedSection tipEnd, PanelLoft surface)
      : design(std::move(brief)), rootShape(std::move(rootEnd)), tipShape(std::move(tipEnd)),
        rootSection(rootShape.section), tipSection(tipShape.section), loft(std::move(surface)) {}

  PanelBrief design; ///< what it follows from
  ShapedSection rootShape, tipShape;
  Section rootSection, tipSection;
  SectionMeasures rootMeasures, tipMeasures;
  PanelLoft loft;
  std::vector<SparLine> spars;
  std::vector<Rib> ribs, riblets;
  std::optional<TipShape> tip;
  PanelJoin join;
  std::optional<JoinerRod> joiner;
  SettingUp settingUp;
  std::vector<Part> parts; ///< every piece once
  PanelMass mass;
  SheetSkin skin;                 ///< of sheet that carries bending
  std::optional<NoseBox> noseBox; ///< at the root
  Strength strength;
  JoinStrength joinStrength;       ///< with the first brace
  JoinStrength secondStrength;     ///< with the second
  std::optional<FrameTwist> twist; ///< of the twist test
  std::vector<SparBay> bays;       ///< from the root outwards, spar by spar; the first with what holds the join

  const Rib& rib(int number) const { return ribs.at(static_cast<std::size_t>(number - design.firstRib)); }
};

/// One wing: its panels from the middle outwards, and what only all of them together have.
struct WholeWing {
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

  int ribCount() const { return panels.back().ribs.back().number; }
  /// The panel that the rib of that number belongs to; the nearest for a number that is not there.
  const TruePanel& panelOfRib(int number) const;
};

struct TrueWing {
  Design design;   ///< what it follows from
  JudgedPlan plan; ///< the paper plan, as far as it was read
  std::vector<WholeWing> wings;
  double gustFactor = 1; ///< load factor of the gust
  std::vector<Finding> findings;

  /// Figures are written when they are asked for, and once: a change on screen asks for those of one stage. May be
  /// asked from several threads. What they are told of is not changed after that.
  const std::vector<Figure>& figures(Stage stage) const;
  std::vector<Figure> figures() const; ///< of all stages, in the order of work
  const Figure* figure(std::string_view key) const;
  const WholeWing& main() const { return wings.front(); }
  const WholeWing& wing(int number) const { return wings.at(static_cast<std::size_t>(number)); }
  const TruePanel& at(PanelId id) const {
    return wings.at(static_cast<std::size_t>(id.wing)).panels.at(static_cast<std::size_t>(id.panel));
  }
  /// The main wing's innermost panel.
  const TruePanel& inner() const { return at({}); }

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
