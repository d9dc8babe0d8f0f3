// The description of what holds a wing to its fuselage: struts, wires, posts (see describe.h).
#include "core/described/describe.h"

namespace eup {

void describeHolding(Wing& w, int number, Visitor& v) {
  const bool on = mirrored(w);
  v.list("struts", Topic::strut, w.struts, mostStruts, [&](auto& s, std::size_t) {
    const bool strip = s.shape == CapShape::strip;
    v.lasting("number", s.number);
    v.text("name", "Name", s.name);
    v.choice("kind", "It is a", s.kind, std::span(strutKindChoices), on);
    v.panel(number, "panel", "Holds panel", s.panel, on);
    const bool onRib = s.on == StrutOn::rib;
    v.choice("on", "Strut attached to", s.on, std::span(strutOnChoices), on);
    v.ofPanel(PanelId{number, s.panel - 1}, [&] {
      v.spar("spar", "Strut spar", s.spar, on && !onRib);
      v.along("out", "Distance from panel root", s.out, Limits{1, 20000}, on && !onRib);
    });
    v.count("rib", "Strut rib", s.rib, Limits{1, mostRibs}, on && onRib);
    v.fraction("chord", "Position on strut rib", s.chord, Limits{0.02, 0.98}, on && onRib);
    const bool wing = on && s.foot == Footing::wing, fuselage = on && !wing;
    v.choice("foot", "Its foot stands on", s.foot, std::span(footingChoices), on);
    v.length("footAft", "Foot aft of the root's LE", s.footAft, Limits{-5000, 5000}, fuselage);
    v.length("footRight", "Foot from the middle", s.footRight, Limits{0, 5000}, fuselage);
    v.length("footUp", "Foot up, − down", s.footUp, Limits{-5000, 5000}, fuselage);
    v.wing("footWing", "Foot on wing", s.footWing, wing);
    v.panel(s.footWing - 1, "footPanel", "Foot panel", s.footPanel, wing);
    v.extra("foot on another panel", "2", "1", s.footPanel > 1);
    const bool footRib = s.footOn == StrutOn::rib;
    v.choice("footOn", "Foot attached to", s.footOn, std::span(strutOnChoices), wing);
    v.ofPanel(PanelId{s.footWing - 1, s.footPanel - 1}, [&] {
      v.spar("footSpar", "Foot spar", s.footSpar, wing && !footRib);
      v.extra("foot on another spar", "2", "1", s.footSpar > 1);
      v.along("footOut", "Foot distance from panel root", s.footOut, Limits{1, 20000}, wing && !footRib);
    });
    v.count("footRib", "Foot rib", s.footRib, Limits{1, mostRibs}, wing && footRib);
    v.fraction("footChord", "Position on foot rib", s.footChord, Limits{0.02, 0.98}, wing && footRib);
    v.choice("shape", "Of", s.shape, std::span(capShapeChoices), on);
    v.length("width", "Width", s.width, Limits{0.2, 200}, on && strip);
    v.length("depth", strip ? "Depth" : "Diameter", s.depth, Limits{0.1, 200}, on);
    v.length("wall", "Its wall", s.wall, Limits{0.05, 50}, on && s.shape == CapShape::tube);
    v.listed("material", "Wood or metal", s.material, Shelf::material, on);
  });
  v.group("", Topic::strut, [&] { v.flag("hinged", "Root on pins, struts hold", w.hinged, on); });
  v.group("posts", Topic::posts, [&] {
    auto& p = w.posts;
    const bool posts = on && p.fitted;
    v.flag("fitted", "Stands on two posts", p.fitted, on);
    v.extra("two posts", "yes", "no", p.fitted);
    v.fraction("front", "Front post at", p.front, Limits{0, 1}, posts);
    v.fraction("rear", "Rear post at", p.rear, Limits{0, 1}, posts);
    v.length("height", "Underside over the tubes", p.height, Limits{0, 2000}, posts);
    v.angle("incidence", "Nose up by", p.incidenceDeg, Limits{-15, 15}, posts);
    v.length("offset", "Right of the middle by", p.offset, Limits{-500, 500}, posts);
    v.length("diameter", "Posts", p.diameter, Limits{0.2, 30}, posts);
    v.length("inTube", "Sit in their tubes", p.inTube, Limits{0, 500}, posts);
    v.listed("material", "Posts of", p.material, Shelf::material, posts);
  });
}

} // namespace eup
