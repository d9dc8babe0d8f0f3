// Each decision is described once, here: its key in the file, its name for people, its limits, and whether it has a
// say in the design as it stands. Saving, loading, typing, dragging and the tests all visit this one description.
#pragma once
#include "core/design/design.h"
#include "core/design/subject.h"
#include <optional>

namespace eup {

/// Why a table of lift cannot be one; nothing when it can.
inline std::optional<std::string> wrongShares(const std::vector<double>& table) {
  if (table.size() < 2 || table.size() > static_cast<std::size_t>(mostShares))
    return "a table of lift has 2 to " + std::to_string(mostShares) + " numbers, root first";
  if (!std::any_of(table.begin(), table.end(), [](double x) { return x > 0; })) return "some lift must be in it";
  return std::nullopt;
}

/// The plan is saved like every decision, but read and edited on its own stage rather than as a list of fields.
template <class P, class V> void describePlan(P& plan, V& v) {
  v.list("sheets", Topic::none, plan.sheets, mostSheets, [&](auto& s, std::size_t) {
    v.text("name", "Name", s.name);
    v.freeText("file", s.file);
    v.freeText("checksum", s.checksum);
    v.bytes("copy", s.copy);
    v.count("page", "Page", s.page, Limits{1, 9999});
    v.count("width", "Width", s.width, Limits{0, 100000});
    v.count("height", "Height", s.height, Limits{0, 100000});
    v.number("dpi", "Pixels an inch", s.dpi, Limits{0, 100000});
    v.choice("by", "Made true by", s.by, std::span(makeTrueChoices));
    v.list("lengths", Topic::none, s.lengths, mostKnownLengths, [&](auto& l, std::size_t) {
      v.freeText("name", l.name);
      v.points("ends", l.ends, 2);
      v.length("length", "Known length", l.length, Limits{0.1, 100000});
    });
    v.points("corners", s.corners, 4);
    v.length("cornerWidth", "Rectangle's width", s.cornerWidth, Limits{1, 100000});
    v.length("cornerHeight", "Rectangle's height", s.cornerHeight, Limits{1, 100000});
    v.points("level", s.level, 2);
  });
  v.list("readings", Topic::none, plan.readings, mostReadings, [&](auto& r, std::size_t) {
    v.freeText("name", r.name);
    v.choice("kind", "Kind", r.kind, std::span(readingChoices));
    v.count("sheet", "Sheet", r.sheet, Limits{1, mostSheets});
    v.choice("hand", "Hand", r.hand, std::span(handChoices));
    v.count("number", "Number", r.number, Limits{1, 9999});
    v.points("points", r.points, mostReadingPoints);
  });
  v.list("verdicts", Topic::none, plan.verdicts, mostVerdicts, [&](auto& d, std::size_t) {
    v.freeText("key", d.key);
    v.flag("take", "Taken", d.take);
  });
}

/// A section's source and its steps.
template <class S, class V> void describeSection(S& s, V& v) {
  using enum SectionKind;
  auto& n = s.drawn;
  const bool flat = s.kind == flatUnderside, plate = s.kind == flatPlate, curved = s.kind == curvedPlate;
  v.choice("kind", "Section from", s.kind, std::span(sectionKindChoices));
  v.digits("naca", "NACA digits", s.naca, s.kind == naca);
  v.hidden("listed", [&] {
    v.freeText("name", s.listed.name);
    v.points("upper", s.listed.upper, mostPoints);
    v.points("lower", s.listed.lower, mostPoints);
  });
  v.flag("smoothListed", "Curve through points", s.listed.smooth, s.kind == listed);
  v.hidden("traced", [&] {
    v.freeText("name", s.traced.name);
    v.points("upper", s.traced.upper, mostReadingPoints);
    v.points("lower", s.traced.lower, mostReadingPoints);
  });
  v.length("traceTolerance", "Curve may leave points", s.traced.tolerance, Limits{0, 20}, s.kind == traced);
  v.fraction("thickness", "Thickness", n.thickness, Limits{0.02, 0.4}, flat || s.kind == symmetrical);
  v.fraction("thicknessAt", "Thickest at", n.thicknessAt, Limits{0.15, 0.6}, flat);
  v.fraction("noseRadius", "Nose radius", n.noseRadius, Limits{0.001, 0.05}, flat);
  v.fraction("tail", "TE depth", n.tail, Limits{0, 0.05}, flat);
  v.fraction("plate", "Plate thickness", n.plate, Limits{0.002, 0.15}, plate || curved);
  v.choice("nose", "Nose", n.nose, std::span(plateNoseChoices), plate);
  v.fraction("wedge", "Wedge reaches", n.wedge, Limits{0.005, 0.5}, plate && n.nose == PlateNose::wedge);
  v.fraction("tailTaper", "TE tapered over", n.tailTaper, Limits{0, 0.8}, plate);
  v.choice("curve", "Curved as", n.curve, std::span(plateCurveChoices), curved);
  v.fraction("camber", "Camber", n.camber, Limits{0, 0.2}, curved);
  v.fraction("camberAt", "Camber at", n.camberAt, Limits{0.1, 0.9}, curved && n.curve == PlateCurve::place);
  v.list("steps", Topic::none, s.steps, mostSteps, [&](auto& p, std::size_t i) {
    const std::string label = std::to_string(i + 1) + ".";
    v.choice("kind", label.c_str(), p.kind, std::span(stepChoices));
    v.flag("on", "in use", p.on);
    v.fraction("thickness", "to", p.thickness, Limits{0.01, 0.4}, p.kind == StepKind::thickness);
    v.fraction("camber", "to", p.camber, Limits{-0.15, 0.15}, p.kind == StepKind::camber);
    v.fraction("tail", "to", p.tail, Limits{0, 0.08}, p.kind == StepKind::tail);
    v.number("nose", "radius ×", p.nose, Limits{0.1, 5}, p.kind == StepKind::nose);
    v.fraction("smooth", "points move at most", p.smooth, Limits{0.00001, 0.02}, p.kind == StepKind::smooth);
    v.digits("with", "with NACA", p.with, p.kind == StepKind::blend);
    v.number("share", "share of it, 0 to 1", p.share, Limits{0, 1}, p.kind == StepKind::blend);
  });
}

/// Where a panel stands in its wing, as far as that decides what has a say.
struct PanelPlace {
  std::optional<std::size_t> sparsInside; ///< how many spars the panel inside it has; nothing for the innermost
  bool outermost = true;
  bool mirrored = true;
};

/// One panel. The root of a panel that continues the one inside it is not decided again.
template <class P, class V> void describePanel(P& p, const PanelPlace& place, V& v) {
  const auto& sparsInside = place.sparsInside;
  const bool innermost = !sparsInside;
  v.group("sections", Topic::none, [&] {
    v.group("root", Topic::rootSection, [&] { describeSection(p.sections.root, v); });
    v.group("tip", Topic::tipSection, [&] { describeSection(p.sections.tip, v); });
  });
  v.group("panel", Topic::panel, [&] {
    const bool own = innermost || !p.panel.continues;
    v.flag("continues", "Root as the panel inside", p.panel.continues, !innermost);
    v.length("span", innermost ? "Half span" : "Panel span", p.panel.span, Limits{20, 20000});
    v.length("rootChord", "Root chord", p.panel.rootChord, Limits{5, 3000}, own);
    v.length("tipChord", "Tip chord", p.panel.tipChord, Limits{5, 3000});
    v.length("tipSetback", "Tip LE set back", p.panel.tipSetback, Limits{-5000, 5000});
    v.angle("rootWashout", "Washout at root", p.panel.rootWashoutDeg, Limits{-15, 15}, !innermost && own);
    v.fraction("rootAxis", "Root turned about", p.panel.rootAxis, Limits{0, 1}, !innermost && own);
    v.angle("washout", "Washout at tip", p.panel.washoutDeg, Limits{-15, 15});
    v.fraction("washoutAxis", "Turned about", p.panel.washoutAxis, Limits{0, 1});
  });
  v.group("ribs", Topic::ribs, [&] {
    auto& r = p.ribs;
    v.group("", Topic::ribPlaces, [&] {
      v.choice("rule", "Ribs by", r.rule, std::span(ribRuleChoices));
      v.count("count", "Number of ribs", r.count, Limits{2, mostRibs}, r.rule == RibRule::count);
      v.length("spacing", "Spacing, at most", r.spacing, Limits{2, 2000}, r.rule == RibRule::spacing);
      v.stations("stations", "Stations", r.stations, r.rule == RibRule::stations);
      v.count("denseRoot", "Bays halved at root", r.denseRoot, Limits{0, mostRibs}, r.rule != RibRule::stations);
      v.extra("halved bays at the root", "2", "0", r.denseRoot > 0);
      v.count("denseTip", "Bays halved at tip", r.denseTip, Limits{0, mostRibs}, r.rule != RibRule::stations);
      v.extra("halved bays at the tip", "2", "0", r.denseTip > 0);
      const bool turned = r.direction != RibDirection::flight;
      v.choice("direction", "Ribs run", r.direction, std::span(ribDirectionChoices));
      v.angle("angle", "Tail outwards by", r.angleDeg, Limits{-60, 60}, r.direction == RibDirection::diagonal);
      v.flag("crossing", "Others cross them", r.crossing, turned);
    });
    v.length("thickness", "Rib thickness", r.thickness, Limits{0.3, 30});
    v.length("rootThickness", "Root rib", r.rootThickness, Limits{0.3, 30});
    v.length("tipThickness", "Tip rib", r.tipThickness, Limits{0.3, 30});
    v.numbers("thick", "Thick ribs", r.thick);
    v.extra("thick ribs", "2", "", !r.thick.empty());
    v.length("thickThickness", "Thick rib", r.thickThickness, Limits{0.3, 30}, !r.thick.empty());
    v.numbers("doubled", "Doubled ribs", r.doubled);
    v.extra("doubled ribs", "2", "", !r.doubled.empty());
    v.listed("material", "Ribs of", r.material, Shelf::material);
    v.length("notchFit", "Notch fit", r.notchFit, Limits{0, 2});
    v.length("rim", "Least wood", r.rim, Limits{0.2, 20});
  });
  v.group("riblets", Topic::riblets, [&] {
    auto& r = p.riblets;
    const bool open = p.ribs.direction == RibDirection::flight, any = open && r.inBay > 0; // a turned rib is in the way
    v.count("inBay", "Riblets in each bay", r.inBay, Limits{0, 5}, open);
    v.length("thickness", "Riblet thickness", r.thickness, Limits{0.3, 30}, any);
    v.choice("to", "From LE to", r.to, std::span(sheetEdgeChoices), any);
    v.fraction("fraction", "Riblet ends at", r.fraction, Limits{0.05, 0.95}, any && r.to == SheetEdge::fraction);
    v.count("spar", "Spar number", r.spar, Limits{1, mostSpars}, any && r.to == SheetEdge::spar);
  });
  v.group("sheeting", Topic::sheeting, [&] {
    auto& s = p.sheeting;
    const bool any = s.top || s.bottom;
    v.flag("top", "Sheet on top", s.top);
    v.flag("bottom", "Sheet below", s.bottom);
    v.length("thickness", "Sheet thickness", s.thickness, Limits{0.2, 20}, any);
    v.choice("to", "From LE to", s.to, std::span(sheetEdgeChoices), any);
    v.fraction("fraction", "Sheet edge", s.fraction, Limits{0.02, 1}, any && s.to == SheetEdge::fraction);
    v.count("spar", "Spar number", s.spar, Limits{1, mostSpars}, any && s.to == SheetEdge::spar);
    v.listed("material", "Sheet of", s.material, Shelf::material, any);
    v.flag("carries", "It carries bending", s.carries, any);
  });
  v.group("capStrips", Topic::capStrips, [&] {
    auto& c = p.capStrips;
    const bool any = c.top || c.bottom;
    v.flag("top", "Cap strips on top", c.top);
    v.flag("bottom", "Cap strips below", c.bottom);
    v.length("thickness", "Cap thickness", c.thickness, Limits{0.2, 20}, any);
    v.length("width", "Cap width", c.width, Limits{0.5, 100}, any);
    v.listed("material", "Cap strips of", c.material, Shelf::material, any);
  });
  v.group("leadingEdge", Topic::leadingEdge, [&] {
    auto& e = p.leadingEdge;
    const bool any = e.kind != LeadingEdgeKind::none, shaped = e.kind == LeadingEdgeKind::shaped;
    v.choice("kind", "LE stock", e.kind, std::span(leadingEdgeChoices));
    v.length("width", "LE width", e.width, Limits{0.5, 200}, any);
    v.length("height", "LE seat height", e.height, Limits{0.5, 200}, shaped);
    v.length("letIn", "LE let in", e.letIn, Limits{0, 50}, shaped);
    v.listed("material", "LE of", e.material, Shelf::material, any);
  });
  v.group("trailingEdge", Topic::trailingEdge, [&] {
    auto& e = p.trailingEdge;
    const bool any = e.kind != TrailingEdgeKind::none, sheets = e.kind == TrailingEdgeKind::twoSheets;
    v.choice("kind", "TE stock", e.kind, std::span(trailingEdgeChoices));
    v.length("width", "TE width", e.width, Limits{0.5, 500}, any);
    v.length("sheet", "TE sheet", e.sheet, Limits{0.2, 20}, sheets);
    v.length("overhang", "TE overhang", e.overhang, Limits{0, 50}, sheets);
    v.listed("material", "TE of", e.material, Shelf::material, any);
  });
  v.list("spars", Topic::spar, p.spars, mostSpars, [&](auto& s, std::size_t number) {
    const bool caps = s.kind == SparKind::caps;
    v.text("name", "Name", s.name);
    v.choice("kind", "Spar of", s.kind, std::span(sparKindChoices));
    v.fraction("rootFraction", "Line, root", s.rootFraction, Limits{0.02, 0.98},
               innermost || !p.panel.continues || number >= *sparsInside);
    v.fraction("tipFraction", "Line, tip", s.tipFraction, Limits{0.02, 0.98});
    v.flag("stops", "Stops before the tip", s.stops);
    v.extra("stops early", "yes", "no", s.stops);
    v.length("stopsAt", "Stops at", s.stopsAt, Limits{5, 20000}, s.stops);
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
      v.length("webThickness", "Web thickness", s.webThickness, Limits{0.2, 30}, sheetWeb);
      v.choice("webGrain", "Its grain", s.webGrain, std::span(grainChoices), sheetWeb);
      v.listed("webMaterial", s.webs == Webs::core ? "Core of" : "Web of", s.webMaterial, Shelf::material, web);
    });
    v.length("sheet", "Sheet thickness", s.sheet, Limits{0.3, 50}, !caps);
    v.choice("ribSlot", "Rib slotted", s.ribSlot, std::span(slotChoices), !caps);
    v.listed("sheetMaterial", "Wood", s.sheetMaterial, Shelf::material, !caps);
  });
  v.group("stiffening", Topic::stiffening, [&] {
    auto& s = p.stiffening;
    const bool any = s.diagonals != Diagonals::none;
    v.listed("covering", "Covering", s.covering, Shelf::covering);
    v.choice("diagonals", "Diagonals", s.diagonals, std::span(diagonalsChoices));
    v.choice("plane", "They lie", s.plane, std::span(diagonalPlaneChoices), any);
    v.count("firstBay", "From bay", s.firstBay, Limits{1, mostRibs}, any);
    v.count("lastBay", "To bay", s.lastBay, Limits{1, mostRibs}, any);
    v.length("width", "Width", s.width, Limits{0.3, 50}, any);
    v.length("depth", "Depth", s.depth, Limits{0.3, 50}, any);
    v.listed("material", "Of", s.material, Shelf::material, any);
  });
  v.group("join", Topic::none, [&] {
    auto& j = p.join;
    v.group("", Topic::join, [&] {
      const bool joined = !innermost || place.mirrored; // a fin's root meets nothing of its own
      v.dihedral("dihedral", j.dihedral, p.panel.span, joined);
      v.choice("propping", "On the board", j.propping, std::span(proppingChoices), innermost && joined);
      v.choice("blockAt", "Block stands under", j.blockAt, std::span(blockChoices), joined);
      v.flag("rootLeans", "End ribs lean to it", j.rootLeans, joined);
      v.choice("sparsThere", "Spars there", j.sparsThere, std::span(sparsThereChoices), joined);
      v.length("crackLeaves", "Crack leaves", j.crackLeaves, Limits{0, 20},
               joined && j.sparsThere == SparsThere::cracked);
    });
    v.group("", Topic::brace, [&] {
      const bool joined = !innermost || place.mirrored, brace = joined && j.brace;
      v.flag("brace", "Brace", j.brace, joined);
      v.extra("a brace", "yes", "no", j.brace);
      v.count("braceSpar", "Brace on spar", j.braceSpar, Limits{1, mostSpars}, brace);
      v.length("braceThickness", "Brace thickness", j.braceThickness, Limits{0.2, 30}, brace);
      v.choice("braceSide", "Brace lies", j.braceSide, std::span(braceSideChoices), brace);
      v.choice("braceForm", "Brace is", j.braceForm, std::span(braceFormChoices), brace);
      v.choice("braceOver", "Brace reaches", j.braceOver, std::span(braceOverChoices), brace);
      v.count("braceToRib", innermost ? "Leg ends at rib" : "Leg ends at its rib", j.braceToRib, Limits{2, mostRibs},
              brace);
      v.flag("braceSlots", "Ribs slotted for it", j.braceSlots, brace);
      v.listed("braceMaterial", "Brace of", j.braceMaterial, Shelf::material, brace);
    });
    v.group("", Topic::settingUp, [&] {
      v.choice("datum", "Panel pinned with", j.datum, std::span(datumChoices));
      v.stations("packing", "Packing at hand", j.packing, true);
      v.flag("feet", "Feet on the ribs", j.feet);
      v.extra("feet on the ribs", "yes", "no", j.feet);
      v.length("footWidth", "Foot width", j.footWidth, Limits{1, 60}, j.feet);
      v.length("footClearance", "Least foot length", j.footClearance, Limits{0.5, 60}, j.feet);
      v.flag("rods", "Built on two rods", j.rods);
      v.extra("two jig rods", "yes", "no", j.rods);
      v.length("rodDiameter", "Rods, diameter", j.rodDiameter, Limits{0.5, 40}, j.rods);
      v.fraction("rodFront", "Front rod at", j.rodFront, Limits{0.03, 0.97}, j.rods);
      v.fraction("rodRear", "Rear rod at", j.rodRear, Limits{0.03, 0.97}, j.rods);
    });
  });
  v.group("brace2", Topic::brace, 1, [&] {
    auto& b = p.join.second;
    const bool joined = !innermost || place.mirrored, on = joined && b.fitted;
    v.flag("fitted", "One more brace", b.fitted, joined);
    v.extra("a second brace", "yes", "no", b.fitted);
    v.count("spar", "It lies on spar", b.spar, Limits{1, mostSpars}, on);
    v.length("thickness", "Its thickness", b.thickness, Limits{0.2, 30}, on);
    v.choice("side", "It lies", b.side, std::span(braceSideChoices), on);
    v.choice("form", "It is", b.form, std::span(braceFormChoices), on);
    v.choice("over", "It reaches", b.over, std::span(braceOverChoices), on);
    v.count("toRib", "Its leg ends at rib", b.toRib, Limits{2, mostRibs}, on);
    v.flag("slots", "Ribs slotted for it too", b.slots, on);
    v.listed("material", "It is of", b.material, Shelf::material, on);
  });
  v.group("joiner", Topic::joiner, [&] {
    auto& j = p.join.joiner;
    const bool joined = !innermost || place.mirrored, on = joined && j.fitted;
    v.flag("fitted", "Rod or tube", j.fitted, joined);
    v.extra("a rod or tube", "yes", "no", j.fitted);
    v.choice("along", "It runs", j.along, std::span(joinerLineChoices), on);
    v.fraction("fraction", "Stands at", j.fraction, Limits{0.05, 0.95}, on);
    v.length("diameter", "Diameter", j.diameter, Limits{0.5, 60}, on);
    v.length("bore", "Bore", j.bore, Limits{0, 59}, on);
    v.extra("bore", "1 mm", "0", j.bore > 0);
    v.length("sleeve", "Ribs bored", j.sleeve, Limits{0.5, 80}, on);
    v.count("toRib", "Socket ends at rib", j.toRib, Limits{2, mostRibs}, on);
    v.listed("material", "Of", j.material, Shelf::material, on);
    v.length("facing", "Ply on its end ribs", j.facing, Limits{0, 20}, on);
    v.extra("ply on its end ribs", "1.5 mm", "0", j.facing > 0);
    v.flag("pin", "Pin against turning", j.pin, on);
    v.extra("pin against turning", "yes", "no", j.pin);
    v.fraction("pinFraction", "Pin at", j.pinFraction, Limits{0.05, 0.95}, on && j.pin);
    v.length("pinDiameter", "Pin", j.pinDiameter, Limits{0.3, 20}, on && j.pin);
  });
  v.group("tip", Topic::tip, [&] {
    using enum TipKind;
    auto& t = p.tip;
    const TipKind kind = place.outermost ? t.kind : square;
    v.choice("kind", "Tip", t.kind, std::span(tipChoices), place.outermost);
    v.length("reach", "Beyond the tip rib", t.reach, Limits{1, 1000}, kind == outline || kind == block || kind == bow);
    v.fraction("farthest", "Farthest out at", t.farthest, Limits{0.1, 0.95},
               kind == outline || kind == block || kind == bow);
    v.length("raised", "Edge raised there", t.raised, Limits{-200, 200},
             kind == outline || kind == block || kind == bow || kind == rounded);
    v.length("thickness", kind == bow ? "Each strip" : "Sheet", t.thickness, Limits{0.2, 30},
             kind == plate || kind == outline || kind == bow);
    v.length("width", "Width of pieces", t.width, Limits{1, 200}, kind == outline);
    v.length("margin", "Stands out by", t.margin, Limits{0, 100}, kind == plate);
    v.count("strips", "Strips", t.strips, Limits{1, 20}, kind == bow);
    v.length("bowWidth", "Width of strips", t.bowWidth, Limits{0.5, 50}, kind == bow);
    v.number("springBack", "Springs back, share", t.springBack, Limits{0, 0.3}, kind == bow);
    v.length("radius", "Radius of corners", t.radius, Limits{1, 1000}, kind == rounded);
  });
}

/// A table of the builder's own rows.
template <class Rows, class V> void describeRows(Shelf shelf, Rows& rows, V& v) {
  v.list(keyOf(shelf), Topic::none, rows, static_cast<int>(mostOwnRows), [&](auto& r, std::size_t) {
    v.freeText("key", r.key);
    v.text("label", "Name", r.label);
    for (const auto& c : columnsOf(&r)) v.number(c.key, c.label, r.*c.value, c.limits);
    v.text("source", "Known from", r.source);
  });
}

/// A visitor has: group (its own key or none; what is decided in it; which one of several), extra (the decision before
/// it can be put in and taken out), hidden, list, parts, length, angle, fraction, number, count, flag, text, freeText,
/// digits, choice, listed, know, points, bytes, stations, numbers, shares, dihedral, mass. `know` gives it the rows
/// that `listed` may name. `D` is Design or const Design. `parts` is a list that is never empty and gives its decisions
/// no heading of its own.
template <class D, class V> void describe(D& d, V& v) {
  v.group("", Topic::model, [&] {
    v.text("name", "Name", d.name);
    v.choice("unit", "Lengths in", d.unit, std::span(unitChoices));
  });
  v.group("own", Topic::none, [&] {
    for (const Shelf shelf : shelves) onShelf(shelf, [&](auto table) { describeRows(shelf, d.own.*table, v); });
  });
  v.know(d.own);
  v.group("", Topic::model, [&] { v.listed("glue", "Glued with", d.glue, Shelf::glue); });
  v.hidden("plan", [&] { describePlan(d.plan, v); });
  v.parts("wings", d.wings, mostWings, [&](auto& w, std::size_t number) {
    v.group("surface", Topic::wing, [&] {
      v.text("name", "Name", w.name);
      v.choice("kind", "It is", w.kind, std::span(wingKindChoices), number > 0);
      v.number("carries", "Share of the load", w.carries, Limits{0.01, 2});
      v.length("aft", "Behind the main wing", w.aft, Limits{-20000, 20000}, number > 0);
      v.length("up", "Over the main wing", w.up, Limits{-5000, 5000}, number > 0);
    });
    v.parts("panels", w.panels, mostPanels, [&](auto& p, std::size_t i) {
      const bool last = i + 1 >= w.panels.size();
      describePanel(p, {i == 0 ? std::nullopt : std::optional(w.panels[i - 1].spars.size()), last, mirrored(w)}, v);
    });
  });
  v.group("flying", Topic::loads, [&] {
    v.mass("mass", "Model mass", d.flying.mass, Limits{0.1, 100000});
    auto& f = d.flying;
    v.listed("kind", "Built for", f.kind, Shelf::loadFactors);
    v.number("loadFactor", "Load factor", f.loadFactor, pullLimits, f.kind == typedFactors);
    v.number("pushFactor", "Pushing over, 0 none", f.pushFactor, pushLimits, f.kind == typedFactors);
    v.choice("shape", "Lift spread", f.shape, std::span(loadShapeChoices));
    v.shares("table", "Lift, root to tip", f.table, f.shape == LoadShape::table);
    v.flag("relief", "Less the wing's own weight", f.relief);
    v.group("", Topic::happenings, [&] {
      v.number("gust", "Gust, m/s", f.gust, Limits{0, 30});
      v.extra("a gust", "6", "0", f.gust > 0);
      v.number("airSpeed", "Met at, m/s", f.airSpeed, Limits{0.5, 150}, f.gust > 0);
      v.number("linePull", "Line pulls, N", f.linePull, Limits{0, 5000});
      v.extra("a line's pull", "20", "0", f.linePull > 0);
      v.number("tipTouch", "Tip touches, × weight", f.tipTouch, Limits{0, 20});
      v.extra("a tip that touches", "1", "0", f.tipTouch > 0);
    });
    v.group("", Topic::twistAndDive, [&] {
      v.number("twistCouple", "Twist test, N·mm", f.twistCouple, Limits{0.01, 1000000});
      v.number("diveSpeed", "Dive, m/s", f.diveSpeed, Limits{0, 200});
      v.extra("a dive", "25", "0", f.diveSpeed > 0);
      v.fraction("aileronChord", "Aileron chord", f.aileronChord, Limits{0, 0.6});
      v.extra("an aileron", "25", "0", f.aileronChord > 0);
      v.number("aileronFrom", "It begins at, of span", f.aileronFrom, Limits{0, 0.95}, f.aileronChord > 0);
    });
  });
}

} // namespace eup
