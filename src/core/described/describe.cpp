// Each decision is described once: its key in the file, its name for people, its limits, and whether it has a say in
// the design as it stands. Saving, loading, typing, dragging and the tests all visit this one description. The trades'
// own parts of it stand in the files beside this one.
#include "core/described/describe.h"
#include "core/design/tables.h"

namespace eup {

namespace {

/// One panel. The root of a panel that continues the one inside it is not decided again.
void describePanel(PanelDesign& p, const PanelPlace& place, Visitor& v) {
  v.lasting("number", p.number);
  describeShape(p, place, v);
  describeFrame(p, v);
  describeSpars(p, place, v);
  describeSurfaces(p, place, v);
  describeFittings(p, v);
  describeJoin(p, place, v);
  describeTip(p, place, v);
  describeLeftHand(p, place, v);
}

/// A table of the builder's own rows.
template <class Rows> void describeRows(Shelf shelf, Rows& rows, Visitor& v) {
  v.list(keyOf(shelf), Topic::none, rows, static_cast<int>(mostOwnRows), [&](auto& r, std::size_t) {
    v.freeText("key", r.key);
    v.text("label", "Name", r.label);
    for (const auto& c : columnsOf(&r)) v.number(c.key, c.label, r.*c.value, c.limits);
    v.text("source", "Known from", r.source);
  });
}

} // namespace

void describe(Design& d, Visitor& v) {
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
    v.lasting("number", w.number);
    v.group("surface", Topic::wing, [&] {
      v.text("name", "Name", w.name);
      v.choice("kind", "It is", w.kind, std::span(wingKindChoices), number > 0);
      v.number("carries", "Share of the load", w.carries, Limits{0.01, 2});
      v.length("aft", "Behind the main wing", w.aft, Limits{-20000, 20000}, number > 0);
      v.length("up", "Over the main wing", w.up, Limits{-5000, 5000}, number > 0);
    });
    describeHolding(w, static_cast<int>(number), v);
    v.parts("panels", w.panels, mostPanels, [&](auto& p, std::size_t i) {
      const bool last = i + 1 >= w.panels.size();
      v.ofPanel(PanelId{static_cast<int>(number), static_cast<int>(i)}, [&] {
        describePanel(p, {i == 0 ? std::nullopt : std::optional(w.panels[i - 1].spars.size()), last, mirrored(w)}, v);
      });
    });
  });
  describeRecords(d.records, v);
  describeFlying(d, v);
  v.group("wire", Topic::wire, [&] {
    auto& w = d.wire;
    v.length("kerf", "Test cut's slot", w.kerf, Limits{0.1, 10});
    v.number("kerfSpeed", "Cut at, mm/s", w.kerfSpeed, Limits{0.1, 50});
    v.number("kerfPower", "Slot grows, power", w.kerfPower, Limits{0, 2});
    v.number("speed", "Wire goes, mm/s", w.speed, Limits{0.1, 50});
    v.choice("speedOf", "That is of", w.speedOf, std::span(speedOfChoices));
    v.flag("compensate", "Each end by its own slot", w.compensate);
    v.length("lead", "Templates stand out by", w.lead, Limits{0, 200});
    v.count("marks", "Marks, steps of chord", w.marks, Limits{4, 40});
    v.choice("first", "Face that is cut first", w.first, std::span(firstFaceChoices));
    v.length("boardLength", "Boards are long", w.boardLength, Limits{50, 5000});
    v.length("boardWidth", "Boards are wide", w.boardWidth, Limits{50, 3000});
    v.length("boardHeight", "Boards are thick", w.boardHeight, Limits{5, 1000});
    v.length("towersApart", "Towers stand apart", w.towersApart, Limits{50, 10000});
    v.length("fromTower", "Core from inner tower", w.fromTower, Limits{-500, 5000});
    v.group("", Topic::machine, [&] {
      v.text("axes", "Letters of its axes", w.axes);
      v.choice("feed", "Told by", w.feed, std::span(feedByChoices));
      v.number("heat", "Heat, percent", w.heat, Limits{0, 100});
      v.number("preheat", "Heats before, seconds", w.preheat, Limits{0, 300});
      v.number("rest", "Rests at nose, seconds", w.rest, Limits{0, 60});
      v.length("blockAft", "Zero to block's front", w.blockAft, Limits{-1000, 5000});
      v.length("blockUp", "Zero to its underside", w.blockUp, Limits{-1000, 5000});
      v.length("clear", "Passes clear by", w.clear, Limits{0, 500});
      v.length("travelAft", "It travels aft", w.travelAft, Limits{10, 10000});
      v.length("travelUp", "It travels up", w.travelUp, Limits{10, 10000});
    });
  });
  v.group("cutList", Topic::cutList, [&] {
    v.length("trim", "Strips left longer by", d.cutList.trim, Limits{0, 100});
    v.count("spares", "Spares of every rib", d.cutList.spares, Limits{0, 20});
    v.count("batch", "Wings built at once", d.cutList.batch, Limits{1, 50});
    v.length("stock", "Strips are sold", d.cutList.stock, Limits{100, 10000});
    v.length("sheetWidth", "Sheets are wide", d.cutList.sheetWidth, Limits{10, 2000});
    v.number("scarf", "Scarf, × depth", d.cutList.scarf, Limits{3, 30});
    v.length("coverRoll", "Covering is wide", d.cutList.coverRoll, Limits{20, 5000});
    v.length("coverOverlap", "Covering overlaps by", d.cutList.coverOverlap, Limits{0, 200});
    v.choice("faceUp", "Skins lie with up", d.cutList.faceUp, std::span(faceUpChoices));
    v.flag("leftSooner", "Left joints a rib sooner", d.cutList.leftSooner);
  });
  v.group("balance", Topic::balance, [&] {
    auto& b = d.balance;
    v.number("margin", "Margin, share of mean chord", b.margin, Limits{-0.2, 0.6});
    v.number("glue", "Glue, share of the wood", b.glue, Limits{0, 0.5});
    v.number("tailFlow", "Flow at the tail, share", b.tailFlow, Limits{0.3, 1.5});
    v.length("ballastAft", "Ballast would sit at", b.ballastAft, Limits{-20000, 20000});
    v.list("aboard", Topic::aboard, b.aboard, mostAboard, [&](auto& a, std::size_t) {
      v.text("name", "Name", a.name);
      v.mass("grams", "Mass", a.grams, Limits{0, 100000});
      v.length("aft", "Aft of the root's LE", a.aft, Limits{-20000, 20000});
      v.length("right", "To the right", a.right, Limits{-20000, 20000});
      v.length("up", "Up", a.up, Limits{-5000, 5000});
    });
    v.hidden("scales", [&] {
      v.list("weighed", Topic::none, b.weighed, mostWeighed, [&](auto& w, std::size_t) {
        v.freeText("piece", w.piece);
        v.choice("hand", "Hand", w.hand, std::span(handChoices));
        v.number("grams", "Weighed", w.grams, Limits{0, 100000});
      });
    });
  });
  describeBench(d.bench, v);
}

void describe(const Design& d, Visitor& v) {
  describe(const_cast<Design&>(d), v);
}

} // namespace eup
