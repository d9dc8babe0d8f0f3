#include "core/drawing/table.h"
#include "core/drawing/wing_drawings.h"
#include "core/geometry/polyline.h"
#include "core/joins/packing.h"
#include "core/joins/panel_join.h"
#include "core/joins/sawn_ends.h"
#include "core/measure/figure.h"
#include "core/strength/struts.h"
#include "core/wing/run_over.h"
#include <algorithm>
#include <cmath>
#include <fmt/format.h>

namespace eup {
namespace {

Drawing words(std::string text, double height) {
  Drawing d;
  d.write({0, 0}, std::move(text), height);
  return d;
}

Drawing blockGauge(const TruePanel& w) {
  const TipBlock& block = w.join.block;
  Drawing d;
  const double h = std::max(block.height, 1.0);
  d.loop(Layer::cut, rectangle({0, 0}, {45, h}));
  d.write({50, h / 2 + 1}, fmt::format("Tip block {}", told(block.height, Quantity::length, w.design.unit)), 5);
  d.write({50, h / 2 - 5},
          fmt::format("under R{}, {} aft of its nose ({:.0f} % of the chord)", w.frame.ribs.back().number,
                      told(block.fraction * w.frame.ribs.back().frame.chord, Quantity::length, w.design.unit),
                      block.fraction * 100),
          3);
  return d;
}

Drawing bevelGauge(const TruePanel& w) {
  const double lean = w.join.lean, run = std::max(2 * w.frame.ribs.front().depth, 40.0);
  Drawing d;
  d.loop(Layer::cut, {{0, 0}, {20, 0}, {20 + run * std::tan(std::abs(lean)), run}, {0, run}});
  const double x = 26 + run * std::tan(std::abs(lean));
  d.write({x, run / 2 + 1},
          fmt::format("Root lean {}, its top {}", told(std::abs(lean), Quantity::angle, w.design.unit),
                      lean > 0 ? "outwards" : "inwards"),
          5);
  d.write({x, run / 2 - 5}, "stand it on the board: the root rib leans along the slope", 3);
  return d;
}

constexpr double packingRow = 7.6; // mm

const char* braceLies(BraceSide side) {
  return side == BraceSide::front ? "before" : side == BraceSide::behind ? "behind" : "two, on either side of";
}

Drawing braceDrawing(const TruePanel& w, const Brace& b) {
  const Bracing& decided = w.design.join.braces[static_cast<std::size_t>(b.number)];
  Drawing d;
  d.loop(Layer::cut, b.outline);
  d.line(Layer::mark, {0, -b.depthRoot}, {0, b.depthRoot});
  // The ribs that the legs pass: at the centre the same ones on both sides.
  const double half = (w.join.fold >= 0 ? b.bend : -b.bend) / 2;
  for (const Rib& rib : w.frame.ribs) {
    if (rib.kind == RibKind::root || rib.number >= b.outer.toRib) continue;
    const double s = rib.t() * w.frame.spars[static_cast<std::size_t>(b.spar)].stretch;
    for (double side : {-1.0, 1.0}) {
      if (side < 0 && !w.join.centre) continue;
      const Point at(side * s * std::cos(half), s * std::sin(half)), up(-side * std::sin(half), std::cos(half));
      d.line(Layer::mark, at - up * (b.outer.depthEnd / 2), at + up * (b.outer.depthEnd / 2));
    }
  }
  const auto leg = [&](const BraceLeg& l) {
    return fmt::format("{} to R{}", told(l.length, Quantity::length, w.design.unit), l.toRib);
  };
  const std::string legs = w.join.centre ? leg(b.outer) : leg(b.inner) + " and " + leg(b.outer);
  const Box box = d.bounds();
  d.write({box.low.x(), box.low.y() - 6},
          fmt::format("Brace, {} of {}: bend {}{}; grain along",
                      told(decided.thickness, Quantity::length, w.design.unit),
                      w.design.tables.named(decided.material).label, told(b.bend, Quantity::angle, w.design.unit),
                      b.folded ? ", folded " + told(b.turn, Quantity::angle, w.design.unit) : std::string()),
          3);
  d.write({box.low.x(), box.low.y() - 10.5},
          fmt::format("legs {}, {} the {}", legs, braceLies(decided.side),
                      w.design.spars[static_cast<std::size_t>(b.spar)].name),
          3);
  return d;
}

/// As many ribs as go on a page, with the table's head over them.
Drawing packingRows(const TruePanel& w, std::size_t from, std::size_t to) {
  Drawing d;
  constexpr double column = 30;
  const auto& heads = w.settingUp.ribs.front().at;
  d.write({0, 0}, "Rib", 3);
  for (std::size_t i = 0; i < heads.size(); ++i)
    d.write({column * static_cast<double>(i + 1) + 14, 0}, heads[i].line, 3, Anchor::right);
  d.line(Layer::text, {0, -1.6}, {column * static_cast<double>(heads.size()) + 16, -1.6});
  double y = -packingRow - 0.6;
  for (std::size_t k = from; k < to; ++k) {
    const RibSupports& rib = w.settingUp.ribs[k];
    d.write({0, y}, fmt::format("R{}", rib.rib), 3);
    for (std::size_t i = 0; i < rib.at.size(); ++i)
      d.write({column * static_cast<double>(i + 1) + 14, y},
              !rib.at[i].there ? "–" : shown(rib.at[i].height, Quantity::length, w.design.unit).number, 3,
              Anchor::right);
    for (std::size_t i = 0; i < rib.at.size(); ++i) // what to lay there
      if (rib.at[i].there)
        d.write({column * static_cast<double>(i + 1) + 14, y - 2.9},
                stackText(stackFor(rib.at[i].height, w.design.join.packing), w.design.unit), 1.9, Anchor::right);
    y -= packingRow;
  }
  return d;
}

/// How everything that meets a join is sawn there.
std::optional<Drawing> sawnTable(const TruePanel& w, bool root) {
  const std::vector<SawnStrip> sawn = sawnAt(w, root);
  if (sawn.empty()) return std::nullopt;
  const auto deg = [&](double rad) { return told(rad, Quantity::angle, w.design.unit); };
  std::vector<std::vector<std::string>> rows{{"", "mitre on its face", "bevel on its side", "blade tilts"}};
  for (const SawnStrip& s : sawn) {
    std::string name = s.name;
    if (name.ends_with(',')) name.pop_back();
    rows.push_back({name, deg(s.cut.mitre), s.sheet ? "" : deg(s.cut.bevel), deg(s.cut.tilt)});
  }
  return tableOf(root ? fmt::format("Sawn ends at {}: + longer at the front, and below", w.frame.ribs.front().name())
                      : fmt::format("Sawn ends at {}: + longer at the back, and above", w.frame.ribs.back().name()),
                 {0, 62, 96, 130}, rows);
}

/// What the ribs are bored and slotted for, rib by rib.
Drawing holeTable(const TruePanel& w) {
  const auto len = [&](double mm) { return shown(mm, Quantity::length, w.design.unit).number; };
  std::vector<std::vector<std::string>> rows{{"Rib", "for", "from the nose", "under the top", "size"}};
  for (const Rib& rib : w.frame.ribs)
    for (const PassHole& h : rib.passHoles) {
      const bool brace = h.what == Passing::What::brace;
      rows.push_back({rib.name(),
                      brace                          ? "brace"
                      : h.what == Passing::What::pin ? "pin"
                      : h.what == Passing::What::rod ? "jig rod"
                                                     : "joiner's sleeve",
                      len(h.middle.x()), len(h.underTop),
                      brace ? len(h.width) + " × " + len(h.height) : len(h.width) + " across"});
    }
  return tableOf(
      fmt::format("Holes and slots in the ribs, their middles ({})", w.design.unit == LengthUnit::mm ? "mm" : "inches"),
      {0, 20, 62, 96, 130}, rows);
}

/// Strips as they are bought and cut.
Drawing stripTable(const TruePanel& w) {
  std::vector<std::vector<std::string>> rows{
      {"Strip", "of", w.design.unit == LengthUnit::mm ? "from (mm)" : "from (inches)", "true length"}};
  for (const Part& part : w.parts)
    if (part.what() == Part::What::leadingEdge || part.what() == Part::What::trailingEdge ||
        part.what() == Part::What::spars) {
      const std::string name = part.name + (part.shared               ? " (one for both hands)"
                                            : !part.overJoins.empty() ? " (with panels further out)"
                                                                      : "");
      rows.push_back({name, w.design.tables.named(part.material).label, wordsOf(part.stock, w.design.unit),
                      part.toldAs ? fmt::format("runs on from panel {}", part.toldAs->panel + 1)
                                  : told(part.length, Quantity::length, w.design.unit)});
    }
  return tableOf("Strips of this panel, one hand: cut them a hair long", {0, 52, 96, 150}, rows);
}

} // namespace

std::vector<Drawing> benchCard(const WholeWing& wing, const TruePanel& w, Hand hand, double pageHeight) {
  std::vector<Drawing> blocks;
  const auto put = [&](Drawing block) {
    block.title = w.design.of > 1 ? fmt::format("Bench card, panel {}", w.design.id.panel + 1) : "Bench card";
    block.wing = w.design.name;
    block.hand = hand;
    blocks.push_back(std::move(block));
  };
  put(words(fmt::format("{}  {} HAND", w.design.name, nameLarge(hand)), 7));
  const std::string rise = told(w.join.rise, Quantity::length, w.design.unit),
                    gamma = told(w.join.gamma, Quantity::angle, w.design.unit);
  if (w.design.mirrored || !w.design.innermost()) { // a fin's root is joined to nothing
    put(words(w.join.centre ? fmt::format("Centre join: rise {}, dihedral {} each half", rise, gamma)
                            : fmt::format("Join of {} to {}: {} between them, the panel {} to the horizontal, rise {}",
                                          w.frame.ribs.front().name(),
                                          fmt::format("{}{}", w.frame.ribs.front().name().front(),
                                                      w.frame.ribs.front().number - 1),
                                          told(2 * w.join.fold, Quantity::angle, w.design.unit), gamma, rise),
              3.5));
    constexpr double flatJoin = 1e-3; // rad: nothing to prop or to bevel
    if (std::abs(w.join.fold) > flatJoin) {
      put(blockGauge(w));
      put(bevelGauge(w));
    }
  }
  for (const Brace& b : w.join.braces)
    if (b.depthRoot > 0) put(braceDrawing(w, b));
  if (w.joiner) {
    const auto len = [&](double mm) { return told(mm, Quantity::length, w.design.unit); };
    put(words(fmt::format("Joiner {} {}: {} to R{}{}, {} long in all, {}", len(w.design.join.joiner.diameter),
                          w.design.tables.named(w.design.join.joiner.material).label, len(w.joiner->reach),
                          w.joiner->toRib,
                          w.join.centre ? std::string(" in either half")
                                        : fmt::format(" outwards, {} to R{} inwards", len(w.joiner->reachInside),
                                                      w.joiner->toRibInside),
                          len(w.joiner->reach + w.joiner->reachInside),
                          w.joiner->bend == 0 ? std::string("straight")
                                              : "bent " + told(w.joiner->bend, Quantity::angle, w.design.unit)),
              3));
  }
  for (const HeldStrut& s : wing.held.struts)
    if (s.place.upper.panel == w.design.id.panel)
      put(words(fmt::format(
                    "{}: {} long from spar to {}; {} to the spar{}, {} {} by {}", s.place.name,
                    told(s.length, Quantity::length, w.design.unit), s.place.lower ? "the other wing's spar" : "foot",
                    told(s.toSpar, Quantity::angle, w.design.unit),
                    s.place.lower ? fmt::format(", {} to the other", told(s.toFootSpar, Quantity::angle, w.design.unit))
                                  : std::string(),
                    s.place.lower ? "rakes" : "runs", s.aft < 0 ? "forward" : "aft",
                    told(std::abs(s.aft), Quantity::angle, w.design.unit)),
                3));
  if (w.design.built != Built::ribs) return blocks; // no ribs: no packing under them, no strips
  for (const bool root : {true, false})
    if (root ? w.design.mirrored || !w.design.innermost() : w.design.beyond.has_value())
      if (auto sawn = sawnTable(w, root)) put(std::move(*sawn));
  put(stripTable(w));
  if (std::any_of(w.frame.ribs.begin(), w.frame.ribs.end(), [](const Rib& r) { return !r.passHoles.empty(); }))
    put(holeTable(w));
  if (w.tip && !w.tip->rests.empty()) {
    std::vector<std::vector<std::string>> rows{{"Under the tip", "packing"}};
    for (const TipRest& rest : w.tip->rests)
      rows.push_back(
          {rest.where, told(underTipRest(w.design, w.shape.loft, w.settingUp, rest), Quantity::length, w.design.unit)});
    put(tableOf("Packing under the tip's stock, board to its underside", {0, 62}, rows));
  }
  const std::size_t ribs = w.settingUp.ribs.size(),
                    each = std::max<std::size_t>(1, static_cast<std::size_t>(pageHeight / packingRow) - 3);
  const std::size_t few = std::min(each, std::size_t{8}); // so that a table begins under what stands before it
  for (std::size_t from = 0; from < ribs; from += few) {
    Drawing rows = packingRows(w, from, std::min(from + few, ribs));
    if (from == 0) // its heading is not left behind on the page before
      rows.write({0, 7},
                 fmt::format("Packing: underside over the board ({}), {}",
                             w.design.unit == LengthUnit::mm ? "mm" : "inches",
                             w.settingUp.datum == Datum::undersideFlat ? "root underside flat" : "root chord level"),
                 4);
    put(std::move(rows));
  }
  put(words("Blades, planes and glue: mind fingers, eyes and air; read the maker's sheet of each glue. Sizes for "
            "model aircraft only.",
            2.6));
  return blocks;
}

} // namespace eup
