// The description of spars and of what stiffens a panel (see describe.h).
#include "core/described/describe.h"
#include <optional>

namespace eup {

void describeSpars(PanelDesign& p, const PanelPlace& place, Visitor& v) {
  const auto& sparsInside = place.sparsInside;
  const bool innermost = place.innermost();
  v.list("spars", Topic::spar, p.spars, mostSpars, [&](auto& s, std::size_t number) {
    v.lasting("number", s.number);
    const bool caps = s.kind == SparKind::caps;
    v.text("name", "Name", s.name);
    v.choice("kind", "Spar of", s.kind, std::span(sparKindChoices));
    v.fraction("rootFraction", "Line, root", s.rootFraction, Limits{0.02, 0.98},
               innermost || !p.panel.continues || number >= *sparsInside);
    v.fraction("tipFraction", "Line, tip", s.tipFraction, Limits{0.02, 0.98});
    v.flag("stops", "Stops before the tip", s.stops);
    v.extra("stops early", "yes", "no", s.stops);
    v.along("stopsAt", "Spar ends at", s.stopsAt, Limits{5, 20000}, s.stops);
    const auto cap = [&](const char* key, Topic topic, auto& c) {
      v.group(key, topic, static_cast<int>(number), [&] {
        const bool on = caps && c.fitted, strip = on && c.shape == CapShape::strip;
        v.flag("fitted", "Fitted", c.fitted, caps);
        v.extra("this cap", "yes", "no", c.fitted);
        v.choice("shape", "It is a", c.shape, std::span(capShapeChoices), on);
        v.length("width", "Width", c.width, Limits{0.3, 200}, strip);
        v.length("depth", on && !strip ? "Diameter" : "Depth", c.depth, Limits{0.2, 200}, on);
        v.length("wall", "Its wall", c.wall, Limits{0.1, 50}, on && c.shape == CapShape::tube);
        v.listed("material", "Of", c.material, Shelf::material, on);
        v.flag("tapers", "Tapers", c.tapers, strip);
        v.extra("taper", "yes", "no", c.tapers);
        v.length("tipWidth", "Width at its end", c.tipWidth, Limits{0.3, 200}, strip && c.tapers);
        v.length("tipDepth", "Depth at its end", c.tipDepth, Limits{0.2, 200}, strip && c.tapers);
        v.number("taperFrom", "Tapers from, of length", c.taperFrom, Limits{0, 0.95}, strip && c.tapers);
        v.flag("changes", "Wood changes", c.changes, on);
        v.extra("second wood", "yes", "no", c.changes);
        v.number("changesAt", "Changes at, of length", c.changesAt, alongCap, on && c.changes);
        v.listed("thenMaterial", "Then of", c.thenMaterial, Shelf::material, on && c.changes);
        v.flag("doubled", "Doubled", c.doubled, strip);
        v.extra("doubler", "yes", "no", c.doubled);
        v.number("doubledTo", "Doubled to, of length", c.doubledTo, alongCap, strip && c.doubled);
        v.length("doubler", "Doubler's depth", c.doubler, Limits{0.2, 100}, strip && c.doubled);
        v.flag("drops", "Ends early", c.drops, on);
        v.extra("ends early", "yes", "no", c.drops);
        v.number("dropsAt", "Ends at, of length", c.dropsAt, alongCap, on && c.drops);
      });
    };
    cap("top", Topic::topCap, s.top);
    cap("bottom", Topic::bottomCap, s.bottom);
    const bool two = caps && s.top.fitted && s.bottom.fitted, web = two && s.webs != Webs::none;
    v.group("", Topic::webs, static_cast<int>(number), [&] {
      v.choice("webs", "Webs", s.webs, std::span(websChoices), two);
      const bool sheetWeb = web && s.webs != Webs::core;
      v.choice("websOn", "They stand", s.websOn, std::span(websOnChoices), two && s.webs == Webs::between);
      v.length("webShort", "Short of the caps' edges", s.webShort, Limits{0, 20},
               two && s.webs == Webs::between && s.websOn != WebsOn::between);
      v.length("webThickness", "Web thickness", s.webThickness, Limits{0.2, 30}, sheetWeb);
      v.choice("webGrain", "Its grain", s.webGrain, std::span(grainChoices), sheetWeb);
      v.listed("webMaterial", s.webs == Webs::core ? "Core of" : "Web of", s.webMaterial, Shelf::material, web);
    });
    v.length("sheet", "Sheet thickness", s.sheet, Limits{0.3, 50}, !caps);
    v.choice("ribSlot", "Rib slotted", s.ribSlot, std::span(slotChoices), !caps);
    v.listed("sheetMaterial", "Wood", s.sheetMaterial, Shelf::material, !caps);
    v.length("cutShort", "Cut too shallow by", s.cutShort, Limits{0, 100}, !caps);
    v.extra("a spar cut too shallow", "1 mm", "0", s.cutShort > 0);
    v.flag("shortBelow", "Short along its lower edge", s.shortBelow, !caps && s.cutShort > 0);
    v.flag("rescued", "Closed with a strip or webs", s.rescued, !caps && s.cutShort > 0);
  });
  v.group("stiffening", Topic::stiffening, [&] {
    auto& s = p.stiffening;
    const bool any = s.diagonals != Diagonals::none;
    v.listed("covering", "Covering", s.covering, Shelf::covering);
    v.choice("coveringOn", "It covers", s.coveringOn, std::span(coveringOnChoices), s.covering != uncovered);
    v.number("dope", "Dope ÷ covering, by weight", s.dope, Limits{0, 5}, s.covering != uncovered);
    v.extra("dope or resin on the covering", "0.5", "0", s.dope > 0);
    v.choice("diagonals", "Diagonals", s.diagonals, std::span(diagonalsChoices));
    v.choice("plane", "They lie", s.plane, std::span(diagonalPlaneChoices), any);
    v.count("firstBay", "From bay", s.firstBay, Limits{1, mostRibs}, any);
    v.count("lastBay", "To bay", s.lastBay, Limits{1, mostRibs}, any);
    v.length("width", "Width", s.width, Limits{0.3, 50}, any);
    v.length("depth", "Depth", s.depth, Limits{0.3, 50}, any);
    v.listed("material", "Of", s.material, Shelf::material, any);
  });
}

} // namespace eup
