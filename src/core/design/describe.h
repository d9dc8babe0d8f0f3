// Each decision is described once, here: its key in the file, its name for people, its limits, and whether it has a
// say in the design as it stands. Saving, loading, typing, dragging and the tests all visit this one description.
#pragma once
#include "core/design/design.h"
#include "core/measure/figure.h"
#include <array>
#include <span>

namespace eup {

struct Limits {
  double low = 0, high = 0;
};

/// A member of an enumeration: its name in the file and its words on screen.
struct Choice {
  std::string_view key, label;
};

inline constexpr std::array unitChoices{Choice{"mm", "mm"}, Choice{"inch", "inches"}};
inline constexpr std::array ribRuleChoices{Choice{"count", "number of ribs"}, Choice{"spacing", "even spacing"},
                                           Choice{"stations", "own stations"}};
inline constexpr std::array sheetEdgeChoices{Choice{"fraction", "chord fraction"}, Choice{"spar", "a spar"}};
inline constexpr std::array leadingEdgeChoices{Choice{"none", "none"}, Choice{"square", "square strip"},
                                               Choice{"onEdge", "square, on edge"}, Choice{"shaped", "shaped strip"}};
inline constexpr std::array trailingEdgeChoices{Choice{"none", "none"}, Choice{"wedge", "wedge stock"},
                                                Choice{"twoSheets", "two sheets"}};
inline constexpr std::array sparKindChoices{Choice{"caps", "caps"}, Choice{"fullDepth", "full-depth sheet"}};
inline constexpr std::array slotChoices{Choice{"above", "from above"}, Choice{"below", "from below"}};
inline constexpr std::array dihedralChoices{Choice{"rise", "rise under the tip"}, Choice{"angle", "angle"}};
inline constexpr std::array proppingChoices{Choice{"bothPropped", "both halves propped"},
                                            Choice{"oneFlat", "one flat, one propped"}};
inline constexpr std::array blockChoices{Choice{"leadingEdge", "leading edge"}, Choice{"spar", "main spar"},
                                         Choice{"trailingEdge", "trailing edge"}};
inline constexpr std::array datumChoices{Choice{"chordLevel", "root chord level"},
                                         Choice{"undersideFlat", "root underside flat"}};
inline constexpr std::array braceSideChoices{Choice{"front", "before the spar"}, Choice{"behind", "behind the spar"}};
inline constexpr std::array loadShapeChoices{Choice{"schrenk", "Schrenk"}, Choice{"ellipse", "ellipse"},
                                             Choice{"chord", "by chord"}};

/// A visitor has: group, list, length, angle, fraction, number, count, flag, text, choice, material, section,
/// stations, dihedral, mass. `D` is Design or const Design.
template <class D, class V> void describe(D& d, V& v) {
  v.group("", "Wing", Stage::panels, [&] {
    v.text("name", "Name", d.name);
    v.choice("unit", "Lengths in", d.unit, std::span(unitChoices));
  });
  v.group("sections", "Sections", Stage::sections, [&] {
    v.section("root", "Root section", d.sections.root);
    v.section("tip", "Tip section", d.sections.tip);
  });
  v.group("panel", "Panel", Stage::panels, [&] {
    v.length("halfSpan", "Half span", d.panel.halfSpan, Limits{20, 20000});
    v.length("rootChord", "Root chord", d.panel.rootChord, Limits{5, 3000});
    v.length("tipChord", "Tip chord", d.panel.tipChord, Limits{5, 3000});
    v.length("tipSetback", "Tip LE set back", d.panel.tipSetback, Limits{-5000, 5000});
    v.angle("washout", "Washout at tip", d.panel.washoutDeg, Limits{-15, 15});
    v.fraction("washoutAxis", "Turned about", d.panel.washoutAxis, Limits{0, 1});
  });
  v.group("ribs", "Ribs", Stage::ribs, [&] {
    auto& r = d.ribs;
    v.choice("rule", "Ribs by", r.rule, std::span(ribRuleChoices));
    v.count("count", "Number of ribs", r.count, Limits{2, mostRibs}, r.rule == RibRule::count);
    v.length("spacing", "Spacing, at most", r.spacing, Limits{2, 2000}, r.rule == RibRule::spacing);
    v.stations("stations", "Stations", r.stations, r.rule == RibRule::stations);
    v.length("thickness", "Rib thickness", r.thickness, Limits{0.3, 30});
    v.length("rootThickness", "Root rib", r.rootThickness, Limits{0.3, 30});
    v.length("tipThickness", "Tip rib", r.tipThickness, Limits{0.3, 30});
    v.length("notchFit", "Notch fit", r.notchFit, Limits{0, 2});
    v.length("rim", "Least wood", r.rim, Limits{0.2, 20});
  });
  v.group("sheeting", "Sheeting", Stage::ribs, [&] {
    auto& s = d.sheeting;
    const bool any = s.top || s.bottom;
    v.flag("top", "Sheet on top", s.top);
    v.flag("bottom", "Sheet below", s.bottom);
    v.length("thickness", "Sheet thickness", s.thickness, Limits{0.2, 20}, any);
    v.choice("to", "From LE to", s.to, std::span(sheetEdgeChoices), any);
    v.fraction("fraction", "Sheet edge", s.fraction, Limits{0.02, 1}, any && s.to == SheetEdge::fraction);
    v.count("spar", "Spar number", s.spar, Limits{1, mostSpars}, any && s.to == SheetEdge::spar);
  });
  v.group("capStrips", "Cap strips", Stage::ribs, [&] {
    auto& c = d.capStrips;
    const bool any = c.top || c.bottom;
    v.flag("top", "Cap strips on top", c.top);
    v.flag("bottom", "Cap strips below", c.bottom);
    v.length("thickness", "Cap thickness", c.thickness, Limits{0.2, 20}, any);
    v.length("width", "Cap width", c.width, Limits{0.5, 100}, any);
  });
  v.group("leadingEdge", "Leading edge", Stage::ribs, [&] {
    auto& e = d.leadingEdge;
    const bool any = e.kind != LeadingEdgeKind::none, shaped = e.kind == LeadingEdgeKind::shaped;
    v.choice("kind", "LE stock", e.kind, std::span(leadingEdgeChoices));
    v.length("width", "LE width", e.width, Limits{0.5, 200}, any);
    v.length("height", "LE seat height", e.height, Limits{0.5, 200}, shaped);
    v.length("letIn", "LE let in", e.letIn, Limits{0, 50}, shaped);
  });
  v.group("trailingEdge", "Trailing edge", Stage::ribs, [&] {
    auto& e = d.trailingEdge;
    const bool any = e.kind != TrailingEdgeKind::none, sheets = e.kind == TrailingEdgeKind::twoSheets;
    v.choice("kind", "TE stock", e.kind, std::span(trailingEdgeChoices));
    v.length("width", "TE width", e.width, Limits{0.5, 500}, any);
    v.length("sheet", "TE sheet", e.sheet, Limits{0.2, 20}, sheets);
    v.length("overhang", "TE overhang", e.overhang, Limits{0, 50}, sheets);
  });
  v.list("spars", d.spars, mostSpars, [&](auto& s) {
    const bool caps = s.kind == SparKind::caps;
    v.text("name", "Name", s.name);
    v.choice("kind", "Spar of", s.kind, std::span(sparKindChoices));
    v.fraction("rootFraction", "Line, root", s.rootFraction, Limits{0.02, 0.98});
    v.fraction("tipFraction", "Line, tip", s.tipFraction, Limits{0.02, 0.98});
    const auto cap = [&](const char* key, auto& c, std::array<const char*, 4> label) {
      v.group(key, label[0], Stage::spars, [&] {
        v.flag("fitted", label[0], c.fitted, caps);
        v.length("width", label[1], c.width, Limits{0.3, 200}, caps && c.fitted);
        v.length("depth", label[2], c.depth, Limits{0.2, 200}, caps && c.fitted);
        v.material("material", label[3], c.material, caps && c.fitted);
      });
    };
    cap("top", s.top, {"Top cap", "Top cap width", "Top cap depth", "Top cap of"});
    cap("bottom", s.bottom, {"Bottom cap", "Bottom cap width", "Bottom cap depth", "Bottom cap of"});
    v.length("sheet", "Sheet thickness", s.sheet, Limits{0.3, 50}, !caps);
    v.choice("ribSlot", "Rib slotted", s.ribSlot, std::span(slotChoices), !caps);
    v.material("sheetMaterial", "Wood", s.sheetMaterial, !caps);
  });
  v.group("join", "Centre join", Stage::joins, [&] {
    auto& j = d.join;
    v.dihedral("dihedral", j.dihedral, d.panel.halfSpan);
    v.choice("propping", "On the board", j.propping, std::span(proppingChoices));
    v.choice("blockAt", "Block stands under", j.blockAt, std::span(blockChoices));
    v.choice("datum", "Panel pinned with", j.datum, std::span(datumChoices));
    v.flag("brace", "Brace", j.brace);
    v.length("braceThickness", "Brace thickness", j.braceThickness, Limits{0.2, 30}, j.brace);
    v.choice("braceSide", "Brace lies", j.braceSide, std::span(braceSideChoices), j.brace);
    v.count("braceToRib", "Leg ends at rib", j.braceToRib, Limits{2, mostRibs}, j.brace);
    v.material("braceMaterial", "Brace of", j.braceMaterial, j.brace);
  });
  v.group("flying", "Loads", Stage::spars, [&] {
    v.mass("mass", "Model mass", d.flying.mass, Limits{0.1, 100000});
    v.number("loadFactor", "Load factor", d.flying.loadFactor, Limits{1, 50});
    v.choice("shape", "Lift spread", d.flying.shape, std::span(loadShapeChoices));
  });
}

} // namespace eup
