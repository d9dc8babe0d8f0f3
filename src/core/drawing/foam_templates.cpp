// Templates for cutting foam at full size: for each end of each core what the wire rides on, with its marks, its datum
// line and the holes by which it is pinned to the block.
#include "core/drawing/hinge_marks.h"
#include "core/drawing/wing_drawings.h"
#include "core/foam/wire_marks.h"
#include "core/geometry/circle.h"
#include "core/geometry/polyline.h"
#include "core/measure/figure.h"
#include <algorithm>
#include <cmath>
#include <fmt/format.h>

namespace eup {
namespace {

/// What it stands out by behind the tail, so that the wire goes in along the face that is cut first and out along the
/// other, where it is stopped by a tooth.
Polyline wayIn(const CoreEnd& end, const HotWire& wire) {
  if (end.path.empty() || wire.lead <= 0) return {};
  const Point up = end.path.front().at, down = end.path.back().at;
  if (up.y() <= down.y()) return {};
  constexpr double within = 0.5, tooth = 4, wide = 3; // mm
  const double lead = wire.lead;
  if (wire.first == FirstFace::upper)
    return {down - Point(within, 0),           down + Point(lead, 0),      down + Point(lead, -tooth),
            down + Point(lead + wide, -tooth), up + Point(lead + wide, 0), up - Point(within, 0)};
  return {down - Point(within, 0), down + Point(lead + wide, 0), up + Point(lead + wide, tooth),
          up + Point(lead, tooth), up + Point(lead, 0),          up - Point(within, 0)};
}

constexpr double pinsAt[] = {0.22, 0.68}, pinRadius = 1.25; // of the section's length; mm
constexpr int pinSides = 32;

/// On the line that is level with the block, chord axes: it meets the chord line at a third of it.
Point levelOf(const CoreEnd& end, const ChordFrame& cut, double x) {
  return {x, (x - end.frame.chord / 3) * std::tan(cut.washout)};
}

/// Where surfaces on hinges are sawn off the finished core at this end, or openings for them out of it, with their
/// names.
void sawLines(Drawing& d, const TruePanel& w, const FoamCore& core, const CoreEnd& end,
              std::vector<std::pair<Point, std::string>>& words) {
  for (const HingeLine& line : w.frame.hinges) {
    const Surface& s = w.design.surfaces[static_cast<std::size_t>(line.surface)];
    if (!s.partsRibs() || core.endsAt == line.surface || end.t < line.from - 1e-6 || end.t > line.to + 1e-6) continue;
    HingeCut cut;
    cut.surface = line.surface, cut.whole = {end.outline};
    cut.at = hingeSectionAt(w.design, w.shape.loft, line, end.t);
    const Region wing = intersect(cut.whole, {cut.at.wing});
    if (!s.ofOwnWood()) cut.tail = intersect(cut.whole, {cut.at.surface});
    if (!cut.at.wingFacing.empty()) cut.wingFacing = intersect(wing, {cut.at.wingFacing});
    if (!s.ofOwnWood() && !cut.at.facing.empty()) cut.facing = intersect(cut.tail, {cut.at.facing});
    hingeMarks(d, s, cut, true);
    words.emplace_back(Point(cut.at.hinge.x() + 8, cut.at.bottom.y() - 3),
                       s.ofOwnWood() ? "opening for " + s.name : s.name + " sawn off here");
  }
}

/// mm behind the nose to which the section reaches that is cut.
double lengthOfSection(const CoreEnd& end) {
  return boundsOf(end.section).high.x();
}

Drawing templateOf(const TruePanel& w, const FoamCore& core, bool outer, Hand hand) {
  const CoreEnd& end = outer ? core.outer : core.inner;
  const auto len = [&](double mm) { return told(mm, Quantity::length, w.design.unit); };
  Drawing d;
  d.title = w.design.of > 1 ? fmt::format("Foam, panel {}", w.design.id.panel + 1) : "Foam";
  d.wing = w.design.name;
  d.hand = hand;
  const Polyline lead = wayIn(end, w.design.wire);
  const Region whole = lead.empty() ? Region{end.wire} : unite({end.wire}, {lead});
  for (const Polyline& loop : whole) d.loop(Layer::cut, loop);
  for (const Polyline& loop : end.core) d.loop(Layer::mark, loop);
  // Level with the block: the chord line, or turned by what the core is turned by.
  const ChordFrame cut = core.cutFrame(outer);
  d.line(Layer::mark, levelOf(end, cut, 0), levelOf(end, cut, lengthOfSection(end)));
  for (const double share : pinsAt)
    d.loop(Layer::cut, circleOf(levelOf(end, cut, share * lengthOfSection(end)), pinRadius, pinSides));
  std::vector<std::pair<Point, std::string>> words;
  for (const WireMark& mark : end.marks) {
    if (!isCalled(core, mark)) continue;
    const double side = mark.face == Face::upper ? 1 : -1;
    d.line(Layer::mark, mark.wire, mark.wire - Point(0, side * 3));
    words.emplace_back(mark.wire + Point(0, side > 0 ? 1.2 : -3.4), fmt::format("{}", mark.number));
  }
  for (const ThingCut& cutOut : end.things) {
    const CoreThing& thing = w.design.inCore[static_cast<std::size_t>(cutOut.number)];
    if (const Box in = boundsOf(cutOut.region); !in.empty())
      words.emplace_back(Point(in.centre().x(), thing.letIn() && !thing.top ? in.high.y() + 1.2 : in.low.y() - 3),
                         thing.name);
    if (thing.round()) { // its middle, to be drilled
      const Point middle = boundsOf(cutOut.region).centre();
      d.line(Layer::mark, middle - Point(2, 0), middle + Point(2, 0));
      d.line(Layer::mark, middle - Point(0, 2), middle + Point(0, 2));
    }
  }
  sawLines(d, w, core, end, words);
  if (hand == Hand::left) d = mirrored(std::move(d));
  const double side = hand == Hand::left ? -1 : 1;
  for (const auto& [at, text] : words) d.write({side * at.x(), at.y()}, text, 2.2, Anchor::middle);
  const Box box = d.bounds();
  const std::string name = w.foam->nameOf(core);
  const bool upperFirst = w.design.wire.first == FirstFace::upper;
  const auto under = [&](double down, const std::string& text) {
    d.write({box.low.x(), box.low.y() - down}, text, 2.8);
  };
  under(5, fmt::format("{} {}, {} END, at S{}, seen from the tip; ply or laminate 2 or thicker, its edge smooth", name,
                       nameLarge(hand), outer ? "OUTER" : "INNER", end.station));
  under(9.5,
        fmt::format(
            "{} from the tail; call the marks{}: both ends pass each number together. Slot {} there, half of it "
            "is in the edge",
            upperFirst ? "upper face first," : "lower face first,", upperFirst ? "" : " backwards", len(end.kerf)));
  under(14, fmt::format("the line is level with the block{}; its lower face lies {} under the chord line's front",
                        cut.washout != 0 ? fmt::format(", the chord line turned by {}",
                                                       told(cut.washout, Quantity::angle, w.design.unit))
                                         : std::string(),
                        len(-core.low)));
  under(18.5, "hot wire: isolated low voltage, fumes out, it burns; foam under weights is crushed");
  return d;
}

/// The block's end as it is sawn, with where its template is pinned and the beds that are left of it.
Drawing blockEnd(const TruePanel& w, const FoamCore& core, bool outer, Hand hand) {
  const CoreEnd& end = outer ? core.outer : core.inner;
  const ChordFrame cut = core.cutFrame(outer);
  const auto len = [&](double mm) { return told(mm, Quantity::length, w.design.unit); };
  Drawing d;
  d.title = w.design.of > 1 ? fmt::format("Beds, panel {}", w.design.id.panel + 1) : "Beds";
  d.wing = w.design.name;
  d.hand = hand;
  const Point low(core.front, core.low);
  d.loop(Layer::cut, rectangle(low, low + Point(core.block.width, core.block.height)));
  Polyline wire;
  for (const WireAt& at : end.path) wire.push_back(cut.fromChord(at.at));
  if (!wire.empty()) { // in and out behind the tail
    const double behind = core.front + core.block.width;
    wire.insert(wire.begin(), Point(behind, wire.front().y()));
    wire.push_back(Point(behind, wire.back().y()));
  }
  for (std::size_t i = 0; i + 1 < wire.size(); ++i) d.line(Layer::mark, wire[i], wire[i + 1]);
  for (const double share : pinsAt)
    d.loop(Layer::mark, circleOf(cut.fromChord(levelOf(end, cut, share * lengthOfSection(end))), pinRadius, pinSides));
  if (hand == Hand::left) d = mirrored(std::move(d));
  const Box box = d.bounds();
  d.write({box.centre().x(), box.high.y() - 4}, "UPPER BED", 2.8, Anchor::middle);
  d.write({box.centre().x(), box.low.y() + 1.5}, "LOWER BED", 2.8, Anchor::middle);
  d.write({box.low.x(), box.low.y() - 5},
          fmt::format("block's {} end for {}, {}: {} by {}, {} long; seen from the tip", outer ? "outer" : "inner",
                      w.foam->nameOf(core), nameLarge(hand), len(core.block.width), len(core.block.height),
                      len(core.block.length)),
          2.8);
  d.write({box.low.x(), box.low.y() - 9.5},
          "keep both beds: true their outsides, lay film over them, join them at the dihedral on a flat board", 2.8);
  return d;
}

} // namespace

std::vector<Drawing> foamTemplates(const TruePanel& w, Hand hand) {
  std::vector<Drawing> out;
  if (!w.foam) return out;
  for (const FoamCore& core : w.foam->cores)
    for (const bool outer : {false, true})
      if (!(outer ? core.outer : core.inner).wire.empty()) out.push_back(templateOf(w, core, outer, hand));
  for (const FoamCore& core : w.foam->cores)
    for (const bool outer : {false, true})
      if (!(outer ? core.outer : core.inner).wire.empty()) out.push_back(blockEnd(w, core, outer, hand));
  return out;
}

} // namespace eup
