// Figures and findings of panels of sheet.
#include "core/parts/bent_wood.h"
#include "core/report/bend_figure.h"
#include "core/report/plate_figures.h"
#include <algorithm>

namespace eup {
namespace {

const char* wayOf(SheetWay way) {
  return way == SheetWay::flat ? "flat" : way == SheetWay::bent ? "bent over formers" : "carved";
}

void sheetStrength(const TruePanel& w, FigureList& out) {
  const PlateTold told{Stage::skins,
                       "sheet.",
                       "Wood",
                       "wood, strip and cloth",
                       {"sheet.thickness", "sheet.material", "cloth.top", "cloth.bottom"},
                       {"sheet.thickness", "sheet.material", "cloth.top", "flying.loadFactor"}};
  if (w.strength.bending.edges.empty() || w.strength.bending.rootStiffness <= 0) return;
  plateFigures(w, told, out);
  if (const auto& cloth = w.strength.cloth; cloth && cloth->reserve < 1e8)
    out.add({"sheet.clothReserve", "Cloth's reserve", cloth->reserve, Quantity::ratio, Stage::skins,
             fmt::format("{} out from {}, {}", out.len(cloth->at), innerEnd(w.design), wordsOf(cloth->load)),
             "strength ÷ stress, of all loads and places", fmt::format("{:.1f} MPa there", cloth->stress),
             "bending theory of beams", told.loadBy, true});
  plateTwistFigure(w, told, "∫ T ÷ GJ; J = Σ ⅓ depth³ × width, and 4 A² ÷ ∮ ds ÷ (G t) of cloth on both faces",
                   "St Venant's thin section (Timoshenko and Goodier, from memory); Bredt", out);
}

} // namespace

void sheetFigures(const TruePanel& w, FigureList& out) {
  if (!w.sheet) return;
  const SheetPanelMade& s = *w.sheet;
  const SheetPanel& d = w.design.sheet;
  const std::vector<std::string> plan{"panel.span", "panel.rootChord", "panel.tipChord", "sheet.edge", "sheet.grain"};
  out.add({"sheet.length", "Sheet, length", s.length, Quantity::length, Stage::skins,
           "of the blank along its front edge; left longer to be trimmed",
           "its corners' farthest way along the front edge",
           fmt::format("{}; area {}", wayOf(s.way), told(s.area, Quantity::area, w.design.unit)), "plane geometry",
           plan, true});
  out.add({"sheet.width", "Sheet, width", s.width, Quantity::length, Stage::skins,
           s.boards > 1 ? fmt::format("square to its front edge; {} boards of {} by {} edge-joined along their grain",
                                      s.boards, out.len(s.boardLength), out.len(s.boardWidth))
                        : std::string("square to its front edge"),
           "its corners' farthest way across", fmt::format("sheets are {} wide", out.len(w.design.cutList.sheetWidth)),
           "plane geometry", plan, true});
  if (s.way == SheetWay::carved)
    out.add({"sheet.needs",
             "Sheet must be as thick as",
             s.needs,
             Quantity::length,
             Stage::skins,
             fmt::format("at S{}, the section lying in it as it takes least", s.needsAt),
             "least width of the section, between two faces of sheet",
             fmt::format("the sheet is {}", out.len(d.thickness)),
             "plane geometry",
             {"panel.rootChord", "sheet.thickness"},
             true});
  int line = 0;
  for (std::size_t i = 0; i < s.carving.size(); ++i)
    if (i == 0 || s.carving[i].left != s.carving[i - 1].left) { // one before the thickest place, one behind it
      ++line;
      out.add({fmt::format("sheet.carve.{}", line),
               fmt::format("Carving line {}", line),
               s.carving[i].left,
               Quantity::length,
               Stage::skins,
               "what is left along that line, from the underside to the upper side",
               "even steps of the greatest thickness",
               fmt::format("of {}", out.len(s.needs)),
               "common practice",
               {"panel.rootChord"}});
    }
  if (s.way == SheetWay::bent) {
    const Material& wood = w.design.tables.named(d.material);
    bendFigure("sheet.bend", "Bent to a radius of", s.bend, d.thickness, wood, dryBendRound(wood, d.grainDeg),
               d.grainDeg == 0 ? std::string("of its outer face, across its grain")
                               : fmt::format("of its outer face, its grain {}° off the front edge", d.grainDeg),
               {"sheet.thickness", "sheet.material", "sheet.grain"}, Stage::skins, out);
  }
  if (const TipCorners corners = tipCorners(w); std::max(corners.leading, corners.trailing) > 0.05)
    packingFigures(w, Stage::skins, "sheet.pack", "Pack the tip's {} by",
                   "under the chord line there while the glue sets, the root flat on the board; a little more, for it "
                   "springs back: read it after a night",
                   out);
  double grams = 0, cloth = 0;
  for (const Part& part : w.parts) {
    grams += part.grams;
    if (part.id.kind == PieceKind::cloth) cloth += part.grams;
  }
  out.add({"sheet.mass",
           "Panel's mass",
           grams,
           Quantity::mass,
           Stage::skins,
           "one hand, without glue",
           "volume between its faces × density, and cloth in resin",
           cloth > 0 ? fmt::format("{:.3g} g of that are cloth in its resin, {} + {} layers", cloth, w.design.cloth.top,
                                   w.design.cloth.bottom)
                     : std::string("wood alone"),
           "materials' table",
           {"sheet.thickness", "sheet.material", "cloth.top", "cloth.bottom"},
           true});
  sheetStrength(w, out);
}

void sheetFindings(Finder f) {
  if (!f.w.sheet) return;
  const SheetPanelMade& s = *f.w.sheet;
  const SheetPanel& d = f.w.design.sheet;
  if (s.way == SheetWay::carved && s.needs > d.thickness + 1e-6)
    f.say({"sheet.thin",
           Severity::serious,
           Stage::skins,
           "The sheet is thinner than the wing",
           fmt::format("It needs {} at S{}, the sheet is {}.", f.len(s.needs), s.needsAt, f.len(d.thickness)),
           "Take thicker sheet, or a thinner section.",
           s.needsAt,
           {"sheet.thickness"}});
  if (s.way == SheetWay::bent && s.bend > 0) {
    const Bends how = bendsAt(d.thickness, s.bend, dryBendRound(f.w.design.tables.named(d.material), d.grainDeg));
    if (how != Bends::dry)
      f.say({how == Bends::wet ? "skin.soak" : "skin.breaks",
             how == Bends::wet ? Severity::note : Severity::warning,
             Stage::skins,
             how == Bends::wet ? "The sheet wants water to bend" : "The sheet will not take its bend",
             fmt::format("{} thick to a radius of {}.", f.len(d.thickness), f.len(s.bend)),
             how == Bends::wet ? "Wet its outside, bind it over the formers and let it dry."
                               : "Take it thinner or softer, or with less camber.",
             {},
             {"sheet.thickness", "sheet.material"}});
  }
  const auto weak = [&](const char* key, const char* what, double reserve, double at) {
    sayLittleReserve(f, Stage::skins, key, what, reserve, at,
                     "Take it thicker, harder, or with a layer of cloth more on each face.",
                     {"sheet.thickness", "sheet.material", "cloth.top", "cloth.bottom"});
  };
  if (!f.w.strength.bending.edges.empty()) {
    const EdgeStrength& plate = f.w.strength.bending.edges.front();
    weak("sheet.reserve", "sheet", plate.worstReserve, plate.worstAt);
  }
  if (const auto& cloth = f.w.strength.cloth) weak("sheet.clothReserve", "cloth", cloth->reserve, cloth->at);
  if (d.edge > 0.5 * std::min(f.w.design.panel.rootChord, f.w.design.panel.tipChord))
    f.say({"sheet.edge",
           Severity::warning,
           Stage::skins,
           "The leading edge strip takes half the chord",
           f.len(d.edge) + " of it.",
           "Take a narrower strip.",
           {},
           {"sheet.edge"}});
}

} // namespace eup
