// The description of ribs, riblets, sheet, strips and edges (see describe.h).
#include "core/described/describe.h"
#include <algorithm>
#include <optional>

namespace eup {

/// What a skin is of and where it ends, unless that is settled.
template <class S> static void describeSheetRun(S& s, Visitor& v, bool any, bool ends = true) {
  v.length("thickness", "Sheet thickness", s.thickness, Limits{0.2, 20}, any);
  v.choice("to", "It ends at", s.to, std::span(sheetToChoices), any && ends);
  v.fraction("fraction", "Sheet edge", s.fraction, Limits{0.02, 1}, any && ends && s.to == SheetTo::fraction);
  v.spar("spar", "Spar number", s.spar, any && ends && endsAtSpar(s.to));
  v.length("fromTail", "Ends before TE by", s.fromTail, Limits{0, 2000}, any && ends && s.to == SheetTo::fromTail);
  v.listed("material", "Sheet of", s.material, Shelf::material, any);
  v.angle("grain", "Grain off the span", s.grainDeg, Limits{-90, 90}, any);
  v.extra("grain that does not run along the span", "45", "0", s.grainDeg != 0);
  v.count("layers", "In layers", s.layers, Limits{1, 4}, any);
  v.extra("sheet in two layers", "2", "1", s.layers > 1);
  v.choice("joint", "Sheets are", s.joint, std::span(sheetJointChoices), any);
  v.extra("sheets that are scarfed or lapped", "scarf", "butt", s.joint != SheetJoint::butt);
  v.number("overlap", "Joint, length ÷ thickness", s.overlap, Limits{1, 30}, any && s.joint != SheetJoint::butt);
}

/// Ribs that a skin is joined on, above and below.
template <class S> static void describeJoints(S& s, Visitor& v) {
  v.numbers("joints", "Joined on ribs, top", s.joints, s.top);
  v.extra("ribs that the top is joined on", "3", "", !s.joints.empty());
  v.numbers("jointsBelow", "Joined on ribs, below", s.jointsBelow, s.bottom);
  v.extra("ribs that it is joined on below", "3", "", !s.jointsBelow.empty());
}

void describeFrame(PanelDesign& p, Visitor& v) {
  v.group("", Topic::panel, [&] { v.choice("built", "Built of", p.built, std::span(builtChoices)); });
  v.group("sheet", Topic::sheetPanel, [&] {
    auto& s = p.sheet;
    const bool on = p.built == Built::sheet;
    v.length("thickness", "Sheet thickness", s.thickness, Limits{0.3, 60}, on);
    v.listed("material", "Sheet of", s.material, Shelf::material, on);
    v.angle("grain", "Grain off its front edge", s.grainDeg, Limits{-90, 90}, on);
    v.extra("grain that slants", "20", "0", s.grainDeg != 0);
    v.length("edge", "LE strip, width", s.edge, Limits{0, 100}, on);
    v.extra("a strip along its leading edge", "4 mm", "0", s.edge > 0);
    v.listed("edgeMaterial", "LE strip of", s.edgeMaterial, Shelf::material, on && s.edge > 0);
    const bool bent = on && p.sections.tip.kind == SectionKind::curvedPlate;
    v.flag("formers", "Formers stay under it", s.formers, bent);
    v.extra("formers under it", "yes", "no", s.formers);
    v.length("formerThickness", "Formers", s.formerThickness, Limits{0.3, 20}, bent && s.formers);
  });
  v.group("foam", Topic::foam, [&] {
    auto& f = p.foam;
    const bool on = p.built == Built::foam;
    v.flag("between", "Foam between the ribs", f.between, p.built == Built::ribs);
    v.listed("material", "Core of", f.material, Shelf::material, on || (p.built == Built::ribs && f.between));
    v.count("cores", "Cores", f.cores, Limits{1, 8}, on);
    v.choice("washoutIn", "Washout is in", f.washoutIn, std::span(washoutInChoices), on);
    v.length("endRib", "Ribs on its ends", f.endRib, Limits{0, 20}, on);
    v.extra("ribs on its ends", "3 mm", "0", f.endRib > 0);
    v.flag("ribsBetween", "And between its cores", f.ribsBetween, on && f.endRib > 0 && f.cores > 1);
    v.listed("endRibMaterial", "They are of", f.endRibMaterial, Shelf::material, on && f.endRib > 0);
  });
  v.list("inCore", Topic::inCore, p.inCore, mostInCore, [&](auto& t, std::size_t) {
    const bool round = t.kind == InCore::tube || t.kind == InCore::rod;
    const bool letIn = t.kind == InCore::pocket || t.kind == InCore::lead || t.kind == InCore::block;
    const bool hollow = t.kind == InCore::hollow;
    v.lasting("number", t.number);
    v.text("name", "Name", t.name);
    v.choice("kind", "It is a", t.kind, std::span(inCoreChoices));
    v.along("from", "From, along the span", t.from, Limits{0, 20000});
    v.along("to", "To", t.to, Limits{0, 20000});
    v.fraction("xFrom", "Middle, at its beginning", t.xFrom, Limits{0, 1});
    v.fraction("xTo", "Middle, at its end", t.xTo, Limits{0, 1});
    v.length("upFrom", "Over the chord line, there", t.upFrom, Limits{-500, 500}, round);
    v.length("upTo", "And at its end", t.upTo, Limits{-500, 500}, round);
    v.choice("level", "That is its", t.level, std::span(levelLineChoices), round);
    v.flag("top", "Let in from the top", t.top, letIn);
    v.length("width",
             round                   ? "Diameter"
             : t.kind == InCore::web ? "Thickness"
                                     : "Along the chord",
             t.width, Limits{0.2, 1000});
    v.length("wall", "Its wall", t.wall, Limits{0.05, 50}, t.kind == InCore::tube);
    v.length("depth", "Deep", t.depth, Limits{0.2, 500}, letIn);
    v.length("rim", "Leaves all round", t.rim, Limits{0.5, 200}, hollow);
    v.flag("vented", "Bore is vented", t.vented, round);
    v.listed("material", "Of", t.material, Shelf::material, round || t.kind == InCore::block || t.kind == InCore::web);
  });
  v.group("cloth", Topic::cloth, [&] {
    auto& c = p.cloth;
    const bool any = c.any();
    v.count("top", "Layers of cloth, top", c.top, Limits{0, 8});
    v.count("bottom", "Layers of cloth, below", c.bottom, Limits{0, 8});
    v.number("gsm", "Cloth, g/m²", c.gsm, Limits{5, 400}, any);
    v.number("resinRatio", "Resin ÷ cloth, by weight", c.resinRatio, Limits{0.3, 4}, any);
    v.listed("material", "Cloth in resin", c.material, Shelf::material, any);
    v.length("strip", "A strip more over joins", c.strip, Limits{0, 300}, any);
    v.extra("a strip over the joins", "40 mm", "0", c.strip > 0);
    v.number("hours", "A face dries, hours", c.hours, Limits{0.5, 200}, any);
  });
  v.group("ribs", Topic::ribs, [&] {
    auto& r = p.ribs;
    v.group("", Topic::ribPlaces, [&] {
      v.choice("rule", "Ribs by", r.rule, std::span(ribRuleChoices));
      v.count("count", "Number of ribs", r.count, Limits{2, mostRibs}, r.rule == RibRule::count);
      v.length("spacing", "Spacing, at most", r.spacing, Limits{2, 2000}, r.rule == RibRule::spacing);
      v.alongAll("stations", "Stations", r.stations, r.rule == RibRule::stations);
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
    v.choice("second", "Of a second wood", r.second, std::span(secondWoodChoices));
    v.listed("secondMaterial", "That is", r.secondMaterial, Shelf::material, r.second != SecondWood::none);
    v.choice("make", "Ribs are made", r.make, std::span(ribMakeChoices));
    const bool stack = r.make == RibMake::stack;
    v.fraction("boltFront", "Front bolt at", r.boltFront, Limits{0.03, 0.97}, stack);
    v.fraction("boltRear", "Rear bolt at", r.boltRear, Limits{0.03, 0.97}, stack);
    v.length("bolt", "Bolts", r.bolt, Limits{0.5, 20}, stack);
    v.length("notchFit", "Notch fit", r.notchFit, Limits{0, 2});
    const bool slotted = p.ribs.crossing ||
                         std::ranges::any_of(p.join.braces, [](const Bracing& b) { return b.slots; }) ||
                         std::ranges::any_of(p.spars, [](const Spar& s) { return s.kind == SparKind::fullDepth; });
    v.choice("slotCut", "Slot sides", r.slotCut, std::span(slotCutChoices), slotted);
    v.length("rim", "Least wood", r.rim, Limits{0.2, 20});
  });
  v.group("sticks", Topic::sticks, [&] {
    auto& s = p.sticks;
    const bool on = p.ribs.make == RibMake::sticks, gussets = on && s.gussets != GussetsOn::none;
    v.length("depth", "Strips, depth", s.depth, Limits{0.3, 30}, on);
    v.choice("lacing", "Between them", s.lacing, std::span(lacingChoices), on);
    v.length("bay", "Uprights apart, at most", s.bay, Limits{3, 500}, on);
    v.length("noseBlock", "Nose block", s.noseBlock, Limits{0, 300}, on);
    v.length("tailBlock", "Tail block", s.tailBlock, Limits{0, 300}, on);
    v.choice("gussets", "Gussets", s.gussets, std::span(gussetChoices), on);
    v.length("gusset", "Cut from squares of", s.gusset, Limits{1, 100}, gussets);
    v.length("gussetSheet", "Gusset sheet", s.gussetSheet, Limits{0.1, 10}, gussets);
    v.listed("gussetMaterial", "Gussets of", s.gussetMaterial, Shelf::material, gussets);
    v.flag("ends", "End ribs too", s.ends, on);
  });
  v.group("riblets", Topic::riblets, [&] {
    auto& r = p.riblets;
    const bool open = p.ribs.direction == RibDirection::flight, any = open && r.inBay > 0; // a turned rib is in the way
    v.count("inBay", "Riblets in each bay", r.inBay, Limits{0, 5}, open);
    v.length("thickness", "Riblet thickness", r.thickness, Limits{0.3, 30}, any);
    v.choice("to", "From LE to", r.to, std::span(sheetEdgeChoices), any);
    v.fraction("fraction", "Riblet ends at", r.fraction, Limits{0.05, 0.95}, any && r.to == SheetEdge::fraction);
    v.spar("spar", "Spar number", r.spar, any && r.to == SheetEdge::spar);
  });
  v.group("sheeting", Topic::sheeting, [&] {
    auto& s = p.sheeting;
    const bool any = s.top || s.bottom, ends = p.built != Built::foam; // there it reaches from strip to strip
    v.flag("top", "Sheet on top", s.top);
    v.flag("bottom", "Sheet below", s.bottom);
    v.flag("ownBelow", "Another sheet below", s.ownBelow, s.top && s.bottom && s.ownBelow);
    v.choice("from", "It begins", s.from, std::span(noseFromChoices),
             any && ends && p.leadingEdge.kind != LeadingEdgeKind::none);
    describeSheetRun(s, v, any, ends);
    v.flag("carries", "It carries bending", s.carries, any && ends);
    describeJoints(s, v);
    v.group("below", Topic::sheetingBelow,
            [&] { describeSheetRun(s.below, v, s.top && s.bottom && s.ownBelow, ends); });
  });
  v.list("sheeted", Topic::sheeted, p.sheeted, mostSheetedBays, [&](auto& s, std::size_t) {
    v.lasting("number", s.number);
    v.flag("top", "Sheet on top", s.top);
    v.flag("bottom", "Sheet below", s.bottom);
    v.count("fromRib", "From rib", s.fromRib, Limits{1, mostRibs});
    v.count("toRib", "To rib", s.toRib, Limits{1, mostRibs});
    v.choice("from", "It begins at", s.from, std::span(baysFromChoices));
    v.fraction("fromFraction", "Front edge", s.fromFraction, Limits{0, 0.95}, s.from == BaysFrom::fraction);
    v.spar("fromSpar", "Spar number", s.fromSpar, s.from == BaysFrom::spar);
    describeSheetRun(s, v, true);
    describeJoints(s, v);
  });
  v.list("holds", Topic::holds, p.holds, mostHolds, [&](auto& h, std::size_t) {
    v.lasting("number", h.number);
    v.text("what", "Look at", h.what);
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
    v.choice("widthIs", "LE width is", e.widthIs, std::span(widthIsChoices), any);
    v.length("height", "LE seat height", e.height, Limits{0.5, 200}, shaped);
    v.length("letIn", "LE let in", e.letIn, Limits{0, 50}, shaped);
    v.length("proud", "LE proud by", e.proud, Limits{0, 20}, e.kind == LeadingEdgeKind::square);
    v.extra("stock that stands proud", "1 mm", "0", e.proud > 0);
    v.numbers("gauges", "Nose gauges at ribs", e.gauges, any);
    v.listed("material", "LE of", e.material, Shelf::material, any);
  });
  v.group("trailingEdge", Topic::trailingEdge, [&] {
    auto& e = p.trailingEdge;
    const bool any = e.kind != TrailingEdgeKind::none, sheets = e.kind == TrailingEdgeKind::twoSheets;
    v.choice("kind", "TE stock", e.kind, std::span(trailingEdgeChoices));
    v.length("width", "TE width", e.width, Limits{0.5, 500}, any);
    v.choice("widthIs", "TE width is", e.widthIs, std::span(widthIsChoices), any);
    v.length("sheet", "TE sheet", e.sheet, Limits{0.2, 20}, sheets);
    v.length("overhang", "TE overhang", e.overhang, Limits{0, 50}, sheets);
    v.length("height", "TE height", e.height, Limits{0.2, 100}, e.kind == TrailingEdgeKind::square);
    v.count("strips", "Laminated of strips", e.strips, Limits{1, 20}, e.kind == TrailingEdgeKind::square);
    v.extra("a laminated edge", "3", "1", e.strips > 1);
    v.listed("material", "TE of", e.material, Shelf::material, any);
  });
}

} // namespace eup
