// Skins, cloth, covering: what closes a panel, and what is looked at before.
#include "core/steps/step_maker.h"

namespace eup {

std::string skinSteps(StepMaker& m, const std::string& before) {
  std::string last = braceSteps(m, before);
  if (!m.panel.holds.empty()) {
    std::string all;
    for (const Hold& h : m.panel.holds) all += (all.empty() ? "" : "; ") + h.what;
    last = m.add("look", "Look before it is closed", 10, {last}, {.look = all});
  }
  for (const bool top : {false, true}) { // the underside first
    double minutes = 0;
    for (const Skin& skin : m.panel.skins)
      if ((skin.face == Face::upper) == top && skin.what != Skin::What::tail) minutes += 20 + skin.area() / 4000;
    using enum PieceKind;
    last = m.add(top ? "skinTop" : "skinBelow", top ? "Lay the sheet on top" : "Lay the sheet below", minutes, {last},
                 {.with = m.glue(),
                  .cure = m.setHours(),
                  .caution = glueCaution,
                  .print = "skins",
                  .puts = PieceQuery{{noseSheet, baySheet, surfaceNoseSheet, surfaceBaySheet}, {}, top}});
  }
  return last;
}

/// By what the shipped coverings are put on with; of a builder's own row it is not known.
static const char* coverCaution(std::string_view covering) {
  if (covering == "film" || covering == "film-light" || covering == "fabric") return "A hot iron burns.";
  if (covering.starts_with("tissue") || covering == "silk") return "Dope: open windows, no flame; gloves.";
  if (covering.starts_with("glass")) return glueCaution;
  if (covering == "tape" || covering == "film-thin") return "";
  return "Read the maker's sheet: heat, fumes, flame.";
}

std::string coverSteps(StepMaker& m, const std::string& before) {
  const PanelBrief& d = m.panel.design;
  return m.add("cover", "Cover the panel", m.share(75), {before},
               {.with = d.tables.covering(d.stiffening.covering).label,
                .look = "Have I really done everything? Gates, leads, blocks, hinges",
                .caution = coverCaution(d.stiffening.covering),
                .puts = PieceQuery{{PieceKind::covering}}});
}

std::string finishSteps(StepMaker& m, const std::string& before, bool covered) {
  const Cloth& cloth = m.panel.design.cloth;
  std::string last = m.add("sand", "Sand the panel to shape", 15 + m.share(40), {before},
                           {.caution = dustCaution,
                            .works = PieceQuery{{PieceKind::rib, PieceKind::leadingEdge, PieceKind::trailingEdge,
                                                 PieceKind::noseSheet, PieceKind::baySheet, PieceKind::capStrip,
                                                 PieceKind::tip, PieceKind::core, PieceKind::panelSheet}}});
  for (const bool top : {false, true})
    last = m.add(top ? "clothTop" : "clothBelow", top ? "Lay the cloth on top" : "Lay the cloth below", m.share(60),
                 {last},
                 {.with = "resin",
                  .cure = cloth.hours,
                  .caution = glueCaution,
                  .puts = PieceQuery{{PieceKind::cloth}, {}, top}});
  return covered ? last : coverSteps(m, last);
}

} // namespace eup
