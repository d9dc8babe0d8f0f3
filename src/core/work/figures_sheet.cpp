// Figures and findings of panels of sheet.
#include "core/parts/bent_wood.h"
#include "core/work/bend_figure.h"
#include "core/work/finder.h"
#include <algorithm>

namespace eup {
namespace {

const char* wayOf(SheetWay way) {
  return way == SheetWay::flat ? "flat" : way == SheetWay::bent ? "bent over formers" : "carved";
}

/// Heights of the tip's chord line over the lower of its ends, the root's level on the board.
struct Corners {
  double leading = 0, trailing = 0;
};
Corners cornersOf(const TruePanel& w) {
  const ChordFrame root = w.shape.loft.frameAt(0), tip = w.shape.loft.frameAt(w.shape.loft.span());
  const double le = tip.le.y() - root.le.y(), te = tip.te.y() - root.te.y(), low = std::min({le, te, 0.0});
  return {le - low, te - low};
}

void strengthFigures(const TruePanel& w, FigureList& out) {
  const std::vector<std::string> from{"sheet.thickness", "sheet.material", "cloth.top", "flying.loadFactor"};
  const Strength& bending = w.strength.bending;
  if (bending.edges.empty() || bending.rootStiffness <= 0) return;
  const EdgeStrength& plate = bending.edges.front();
  out.add({"sheet.stiffness",
           "Bends with, at the root",
           bending.rootStiffness,
           Quantity::stiffness,
           Stage::skins,
           fmt::format("of the whole section at {}", innerEnd(w.design)),
           "Σ E (I + A d²) of wood, strip and cloth about their common axis",
           fmt::format("{:.4g} N·mm²", bending.rootStiffness),
           "transformed section",
           {"sheet.thickness", "sheet.material", "cloth.top", "cloth.bottom"}});
  if (plate.worstReserve < 1e8)
    out.add({"sheet.reserve", "Wood's reserve", plate.worstReserve, Quantity::ratio, Stage::skins,
             fmt::format("{} out from {}, {}", out.len(plate.worstAt), innerEnd(w.design), wordsOf(plate.worstCase)),
             "strength ÷ stress, of all loads and places",
             fmt::format("stress at {}: {:.2f} MPa", innerEnd(w.design), plate.stress), "bending theory of beams", from,
             true});
  if (const auto& cloth = w.strength.cloth; cloth && cloth->reserve < 1e8)
    out.add({"sheet.clothReserve", "Cloth's reserve", cloth->reserve, Quantity::ratio, Stage::skins,
             fmt::format("{} out from {}, {}", out.len(cloth->at), innerEnd(w.design), wordsOf(cloth->load)),
             "strength ÷ stress, of all loads and places", fmt::format("{:.1f} MPa there", cloth->stress),
             "bending theory of beams", from, true});
  if (w.strength.twist)
    out.add(
        {"sheet.twist", "Twists by", w.strength.twist->twist, Quantity::angle, Stage::skins,
         fmt::format("tip against {}, under {:.0f} N·mm{}", innerEnd(w.design), w.strength.twist->couple,
                     w.strength.twist->tooFar() ? "; that is too far to be told by small movements: test it with less"
                                                : ""),
         "∫ T ÷ GJ; J = Σ ⅓ depth³ × width, and 4 A² ÷ ∮ ds ÷ (G t) of cloth on both faces",
         fmt::format("as a tube of {:.3g} N·mm²", w.strength.twist->stiffness),
         "St Venant's thin section (Timoshenko and Goodier, from memory); Bredt", from, true});
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
  const Corners corners = cornersOf(w);
  if (std::max(corners.leading, corners.trailing) > 0.05)
    for (const bool leading : {true, false})
      out.add(
          {leading ? "sheet.packLeading" : "sheet.packTrailing",
           leading ? "Pack the tip's LE by" : "Pack the tip's TE by",
           leading ? corners.leading : corners.trailing,
           Quantity::length,
           Stage::skins,
           "under the chord line there while the glue sets, the root flat on the board; a little more, for it springs "
           "back: read it after a night",
           "chord × sin(washout), from where it is turned",
           fmt::format("washout {} of {}", out.deg(w.shape.loft.frameAt(w.shape.loft.span()).washout),
                       out.len(w.design.panel.tipChord)),
           "plane geometry",
           {"panel.washout", "panel.washoutAxis", "panel.tipChord"},
           true});
  double grams = 0, cloth = 0;
  for (const Part& part : w.parts) {
    grams += part.grams;
    if (part.key.starts_with("cloth")) cloth += part.grams;
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
  strengthFigures(w, out);
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
    if (reserve >= usualReserve) return;
    f.say(
        {key,
         reserve < 1 ? Severity::serious : Severity::warning,
         Stage::skins,
         reserve < 1 ? fmt::format("The {} will not carry the load", what)
                     : fmt::format("Little reserve in the {}", what),
         fmt::format("Strength is {:.2f} of the stress {} out. {} or more is usual.", reserve, f.len(at), usualReserve),
         "Take it thicker, harder, or with a layer of cloth more on each face.",
         {},
         {"sheet.thickness", "sheet.material", "cloth.top", "cloth.bottom"}});
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
