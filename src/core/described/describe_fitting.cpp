// The description of runs, lightening holes and hard points (see describe.h).
#include "core/described/describe.h"

namespace eup {

void describeFittings(PanelDesign& p, Visitor& v) {
  v.group("lightening", Topic::lightening, [&] {
    auto& l = p.lightening;
    const bool on = p.built == Built::ribs && p.ribs.make != RibMake::sticks, bored = on && l.bored;
    v.flag("bored", "Lightening holes", l.bored, on);
    v.fraction("from", "Not before, of chord", l.from, Limits{0, 0.9}, bored);
    v.fraction("to", "Not behind, of chord", l.to, Limits{0.1, 1}, bored);
    v.length("rim", "Wood left all round", l.rim, Limits{0.5, 100}, bored);
    v.length("least", "Smallest hole", l.least, Limits{1, 200}, bored);
    v.length("most", "Largest hole", l.most, Limits{1, 500}, bored);
    v.flag("ends", "End ribs too", l.ends, bored);
  });
  v.list("runs", Topic::run, p.runs, mostRuns, [&](auto& r, std::size_t) {
    v.lasting("number", r.number);
    v.text("name", "Name", r.name);
    v.choice("kind", "It is a", r.kind, std::span(runKindChoices));
    v.along("from", "From, along the span", r.from, Limits{0, 20000});
    v.along("to", "To", r.to, Limits{0, 20000});
    v.fraction("xFrom", "Of chord, where it begins", r.xFrom, Limits{0, 1});
    v.fraction("xTo", "Of chord, where it ends", r.xTo, Limits{0, 1});
    v.fraction("high", "Of the depth, from below", r.high, Limits{0, 1});
    v.length("hole", r.kind == RunKind::tube ? "Tube" : "Holes", r.hole, Limits{0.5, 100});
    v.length("slack", "Slack at each end", r.slack, Limits{0, 2000}, r.kind != RunKind::tube);
    v.length("ownLength", "Comes with it", r.ownLength, Limits{0, 5000}, r.kind == RunKind::lead);
  });
  v.list("hardPoints", Topic::hardPoint, p.hardPoints, mostHardPoints, [&](auto& h, std::size_t) {
    v.lasting("number", h.number);
    v.text("name", "Name", h.name);
    v.choice("kind", "For a", h.kind, std::span(hardPointKindChoices));
    v.along("at", "Along the span", h.at, Limits{0, 20000});
    v.fraction("chord", "Of the chord", h.chord, Limits{0, 1});
    v.flag("top", "Against the upper skin", h.top);
    v.length("length", "Block, along the span", h.length, Limits{1, 1000});
    v.length("width", "Block, along the chord", h.width, Limits{1, 1000});
    v.length("depth", "Block, deep", h.depth, Limits{0.5, 200});
    v.length("hole", "Bored, 0 not", h.hole, Limits{0, 100});
    v.listed("material", "Block of", h.material, Shelf::material);
    v.length("doubler", "Doublers on its ribs", h.doubler, Limits{0, 20}, p.built == Built::ribs);
    v.listed("doublerMaterial", "Doublers of", h.doublerMaterial, Shelf::material,
             p.built == Built::ribs && h.doubler > 0);
  });
}

} // namespace eup
