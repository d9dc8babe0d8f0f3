// Everything that follows from a design. Computed whole by `work`, never stored, never edited.
#pragma once
#include "core/joins/centre_join.h"
#include "core/joins/setting_up.h"
#include "core/measure/finding.h"
#include "core/parts/rib.h"
#include "core/plan/judge.h"
#include "core/section/measured.h"
#include "core/strength/spar_strength.h"

namespace eup {

struct TrueWing {
  Design design;   ///< what it follows from
  JudgedPlan plan; ///< the paper plan, as far as it was read
  ShapedSection rootShape, tipShape;
  Section rootSection, tipSection;
  SectionMeasures rootMeasures, tipMeasures;
  PanelLoft loft;
  std::vector<SparLine> spars;
  std::vector<Rib> ribs;
  CentreJoin join;
  SettingUp settingUp;
  Strength strength;
  Planform planform;
  std::vector<Figure> figures;
  std::vector<Finding> findings;

  const Figure* figure(std::string_view key) const;
};

/// The wing that follows from the design; or, when its decisions contradict each other, the findings that say why
/// there is none. Pure: the same design gives the same wing.
std::variant<TrueWing, std::vector<Finding>> work(const Design& design);

} // namespace eup
