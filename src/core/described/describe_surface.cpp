// The description of surfaces on hinges (see describe.h).
#include "core/described/describe.h"

namespace eup {

template <class S> static void describeHinge(S& s, Visitor& v) {
  const bool line = !s.whole(), mm = line && s.by == HingeBy::fromTail, parts = s.partsRibs();
  v.choice("by", "Hinge line by", s.by, std::span(hingeByChoices), line);
  v.fraction("chordFrom", line ? "Hinge, inner end" : "Axis, inner end", s.chordFrom, Limits{0.02, 0.97}, !mm);
  v.fraction("chordTo", line ? "Hinge, outer end" : "Axis, outer end", s.chordTo, Limits{0.02, 0.97}, !mm);
  v.length("tailFrom", "Before TE, inner end", s.tailFrom, Limits{3, 2000}, mm);
  v.length("tailTo", "Before TE, outer end", s.tailTo, Limits{3, 2000}, mm);
  v.choice("at", "Hinge is at the", s.at, std::span(hingeAtChoices), parts && s.nose == SurfaceNose::bevelled);
  v.length("gap", "Gap", s.gap, Limits{0, 10}, line);
  v.choice("nose", "Its front is", s.nose, std::span(surfaceNoseChoices), parts);
}

template <class S> static void describeTravel(S& s, Visitor& v) {
  const bool mm = s.travelIn == TravelIn::millimetres;
  v.choice("travelIn", "Travel in", s.travelIn, std::span(travelInChoices));
  v.angle("up", "Up", s.upDeg, Limits{0, 85}, !mm);
  v.angle("down", "Down", s.downDeg, Limits{0, 85}, !mm && !s.plateLike());
  v.length("upMm", "TE rises", s.upMm, Limits{0, 1000}, mm);
  v.length("downMm", "TE falls", s.downMm, Limits{0, 1000}, mm && !s.plateLike());
  v.number("speed", "Moved fully at, m/s", s.speed, Limits{0, 200});
  v.length("weightArm", "Counterweight ahead by", s.weightArm, Limits{1, 500});
}

template <class S> static void describeMake(S& s, Visitor& v) {
  const bool parts = s.partsRibs(), facing = parts && (s.wingFacing > 0 || s.facing > 0);
  const bool own = parts && (s.built == SurfaceBuilt::solid || s.built == SurfaceBuilt::skinned), ribs = parts && !own;
  v.choice("built", "It is made", s.built, std::span(surfaceBuiltChoices), parts);
  v.listed("material", s.built == SurfaceBuilt::skinned ? "Core of" : "Of", s.material, Shelf::material, own);
  v.length("skin", "Sheet round it", s.skin, Limits{0.2, 10}, own && s.built == SurfaceBuilt::skinned);
  v.listed("skinMaterial", "That sheet of", s.skinMaterial, Shelf::material, own && s.built == SurfaceBuilt::skinned);
  v.choice("plane", "Ribs are sawn", s.plane, std::span(cutPlaneChoices), parts);
  v.angle("rake", "Raked, top aft", s.rakeDeg, Limits{-40, 40}, parts && s.plane == CutPlane::raked);
  v.length("wingFacing", "Facing on the wing", s.wingFacing, Limits{0, 30}, parts);
  v.length("facing", "Facing on the surface", s.facing, Limits{0, 60}, ribs);
  v.length("proud", "Facings stand proud by", s.proud, Limits{0, 10}, facing);
  v.listed("facingMaterial", "Facings of", s.facingMaterial, Shelf::material, facing);
  v.length("endRib", "Ribs that close it", s.endRib, Limits{0, 20}, ribs);
  v.length("endClear", "Clear at its ends", s.endClear, Limits{0, 20}, !s.whole());
  v.length("infill", "Infill between ribs", s.infill, Limits{0, 100}, ribs);
  v.extra("an infill against the covering's pull", "8 mm", "0", s.infill > 0);
  v.length("gusset", "Gussets at its ribs", s.gusset, Limits{0, 100}, ribs);
  v.extra("gussets", "10 mm", "0", s.gusset > 0);
  v.length("plate", "Plate", s.plate, Limits{0.3, 20}, s.plateLike());
  v.length("plateChord", "Plate, along the chord", s.plateChord, Limits{3, 500}, s.plateLike());
}

template <class S> static void describeHinges(S& s, Visitor& v) {
  auto& h = s.hinges;
  const bool on = !s.whole();
  v.count("count", "Hinges, 0 by the rule", h.count, Limits{0, 40}, on);
  v.length("apart", "Apart, at most", h.apart, Limits{10, 2000}, on && h.count == 0);
  v.length("fromEnd", "Outermost from its ends", h.fromEnd, Limits{0, 1000}, on);
  v.length("width", "Hinge, along the line", h.width, Limits{0.5, 200}, on);
  v.length("deep", "Let into either part", h.deep, Limits{0, 100}, on);
  v.length("slot", "Its thickness", h.slot, Limits{0, 20}, on);
  v.length("block", "Blocks behind it, long", h.block, Limits{0, 200}, on);
  v.listed("material", "Blocks of", h.material, Shelf::material, on && h.block > 0);
}

template <class S> static void describeDrive(S& s, const PanelPlace& place, Visitor& v) {
  auto& d = s.drive;
  const bool on = d.by != MovedBy::nothing, horn = on && d.by != MovedBy::torqueRod;
  v.choice("by", "Moved by", d.by, std::span(movedByChoices));
  v.listed("servo", "Servo", d.servo, Shelf::servo, on);
  v.along("at", "Along the span", d.at, Limits{0, 20000}, on);
  v.fraction("servoChord", "Servo's axis, of chord", d.servoChord, Limits{0.02, 0.95}, on);
  v.length("servoUp", "Over the chord line", d.servoUp, Limits{-200, 200}, on);
  v.length("arm", "Arm", d.arm, Limits{2, 100}, on);
  v.angle("armAngle", "Arm at rest", d.armDeg, Limits{-180, 180}, on);
  v.angle("servoAngle", "It turns either way", d.servoDeg, Limits{1, 90}, on);
  v.length("horn", horn ? "Horn" : "Crank", d.horn, Limits{2, 200}, on);
  v.angle("hornAngle", horn ? "Horn at rest" : "Crank at rest", d.hornDeg, Limits{-180, 180}, on);
  v.length("hornBlock", "Block under the horn", d.hornBlock, Limits{0, 100}, horn);
  v.length("play", "Play at the horn's pin", d.play, Limits{0, 5}, on);
  v.length("plate", "Servo's plate or hatch", d.plate, Limits{0, 20}, on);
  const bool rod = on && d.by == MovedBy::torqueRod;
  v.length("wire", "Torque rod", d.wire, Limits{0.3, 20}, rod);
  v.length("wireLong", "Crank to surface", d.wireLong, Limits{1, 5000}, rod);
  const bool halves = place.innermost() && place.mirrored && s.movesAsOne(), wire = halves && d.joinWire > 0;
  v.length("joinWire", "Wire joins both halves", d.joinWire, Limits{0, 20}, halves);
  v.extra("a wire that joins both halves", "2.5 mm", "0", d.joinWire > 0);
  v.length("joinIn", "Into either half by", d.joinIn, Limits{0, 1000}, wire);
  v.length("joinLeg", "Then aft by", d.joinLeg, Limits{1, 1000}, wire);
}

template <class S> static void describeSlide(S& s, Visitor& v) {
  auto& t = s.slide;
  const bool flap = s.kind == SurfaceKind::flap, on = flap && t.fitted;
  v.flag("fitted", "Slides aft in a track", t.fitted, flap);
  v.length("midAft", "On its way, aft", t.midAft, Limits{1, 1000}, on);
  v.length("midDown", "On its way, down", t.midDown, Limits{-100, 1000}, on);
  v.length("endAft", "At its end, aft", t.endAft, Limits{2, 2000}, on);
  v.length("endDown", "At its end, down", t.endDown, Limits{-100, 1000}, on);
  v.length("pinsApart", "Its two pins apart", t.pinsApart, Limits{1, 500}, on);
  v.length("pin", "Pins", t.pin, Limits{0.5, 30}, on);
  v.length("lining", "Slot lined with", t.lining, Limits{0, 10}, on);
}

void describeSurfaces(PanelDesign& p, const PanelPlace& place, Visitor& v) {
  v.list("surfaces", Topic::surface, p.surfaces, mostSurfaces, [&](auto& s, std::size_t number) {
    v.lasting("number", s.number);
    v.text("name", "Name", s.name);
    v.choice("kind", "It is a", s.kind, std::span(surfaceKindChoices));
    v.flag("goesOn", "One with that inside", s.goesOn, !place.innermost() && s.partsRibs());
    v.along("from", "From, along the span", s.from, Limits{0, 20000}, !s.whole());
    v.along("to", "To", s.to, Limits{1, 20000}, !s.whole());
    describeHinge(s, v);
    v.group("", Topic::surfaceTravel, static_cast<int>(number), [&] { describeTravel(s, v); });
    v.group("", Topic::surfaceMake, static_cast<int>(number), [&] { describeMake(s, v); });
    v.group("hinges", Topic::surfaceHinges, static_cast<int>(number), [&] { describeHinges(s, v); });
    v.group("slide", Topic::surfaceSlide, static_cast<int>(number), [&] { describeSlide(s, v); });
    v.group("drive", Topic::surfaceDrive, static_cast<int>(number), [&] { describeDrive(s, place, v); });
  });
}

} // namespace eup
