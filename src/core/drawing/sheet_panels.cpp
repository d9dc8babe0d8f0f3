// Panels of sheet at full size: the blank with its seams, stations and carving lines, and the gauges it is tried with.
#include "core/drawing/wing_drawings.h"
#include "core/geometry/polyline.h"
#include "core/measure/figure.h"
#include <algorithm>
#include <fmt/format.h>

namespace eup {
namespace {

/// The leading edge up, the tip to the right.
Polyline onPrint(const Polyline& line) {
  Polyline out;
  out.reserve(line.size());
  for (const Point& p : line) out.emplace_back(p.y(), -p.x());
  return out;
}

/// Tried on the sheet at a station: what it must touch is cut away. In chord axes, turned over for the left hand.
Drawing gaugeAt(const Rib& station, bool over, Hand hand) {
  const Polyline& face = over ? station.upper : station.lower;
  constexpr double body = 12, past = 8; // mm of gauge beyond the face, and beyond its ends
  const Box box = boundsOf(face);
  const double side = over ? 1 : -1, back = over ? box.high.y() + body : box.low.y() - body;
  Polyline loop{{face.front().x() - past, face.front().y()}};
  loop.insert(loop.end(), face.begin(), face.end());
  loop.emplace_back(face.back().x() + past, face.back().y());
  loop.emplace_back(face.back().x() + past, back);
  loop.emplace_back(face.front().x() - past, back);
  Drawing d;
  d.loop(Layer::cut, loop);
  if (hand == Hand::left) d = mirrored(std::move(d));
  d.write({(hand == Hand::left ? -1 : 1) * (box.low.x() + box.high.x()) / 2, back + (side > 0 ? -6 : 3)},
          fmt::format("{} {} {}", over ? "over" : "under", station.name(), nameLarge(hand)), 3, Anchor::middle);
  return d;
}

} // namespace

std::vector<Drawing> sheetBlanks(const TruePanel& w, Hand hand) {
  if (!w.sheet) return {};
  const SheetPanelMade& made = *w.sheet;
  const auto len = [&](double mm) { return told(mm, Quantity::length, w.design.unit); };
  Drawing d;
  d.title = w.design.of > 1 ? fmt::format("Skins, panel {}", w.design.id.panel + 1) : "Skins";
  d.wing = w.design.name;
  d.hand = hand;
  d.loop(Layer::cut, onPrint(made.outline));
  if (!made.strip.empty()) d.loop(Layer::mark, onPrint(made.strip));
  std::vector<std::pair<Point, std::string>> words;
  for (const Polyline& seam : made.seams) {
    const Polyline line = onPrint(seam);
    d.strokes.push_back({Layer::mark, line, false});
    words.emplace_back(lerp(line.front(), line.back(), 0.25) + Point(0, 0.8), "seam");
  }
  for (const SawnLine& sawn : made.sawn) {
    const Polyline line = onPrint(sawn.line);
    d.strokes.push_back({Layer::mark, line, false});
    // Under the surface's own front, clear of the words of carving lines.
    if (&sawn == &made.sawn.back() || sawn.surface != (&sawn + 1)->surface)
      words.emplace_back(lerp(line[1], line[line.size() - 2], 0.25) - Point(0, 4),
                         w.design.surfaces[static_cast<std::size_t>(sawn.surface)].name + " sawn off here");
  }
  for (const SkinLine& station : made.stations) {
    const Polyline line = onPrint(station.line);
    d.strokes.push_back({Layer::mark, line, false});
    words.emplace_back(line.front() + Point(1, -4), station.name);
  }
  for (const CarveLine& carve : made.carving) {
    const Polyline line = onPrint(carve.line);
    d.strokes.push_back({Layer::mark, line, false});
    words.emplace_back(lerp(line.front(), line.back(), 0.5) + Point(0, 0.8), len(carve.left));
  }
  if (hand == Hand::left) d = mirrored(std::move(d));
  const double side = hand == Hand::left ? -1 : 1;
  for (const auto& [at, text] : words) d.write({side * at.x(), at.y()}, text, 2.4, Anchor::middle);
  const Box box = d.bounds();
  const char* way = made.way == SheetWay::flat   ? "lies flat"
                    : made.way == SheetWay::bent ? "bent over formers"
                                                 : "carved: lines say what is left";
  d.write({box.low.x(), box.low.y() - 5},
          fmt::format("panel of sheet {}, upper side: {} thick, grain {}, {}{}", nameLarge(hand),
                      len(w.design.sheet.thickness),
                      w.design.sheet.grainDeg == 0 ? std::string("along it")
                                                   : fmt::format("{}° off its front edge", w.design.sheet.grainDeg),
                      way, made.boards > 1 ? fmt::format(", {} boards edge-joined", made.boards) : std::string()),
          3);
  return {d};
}

std::vector<Drawing> sheetGauges(const TruePanel& w, Hand hand) {
  std::vector<Drawing> out;
  if (!w.sheet || w.sheet->way == SheetWay::flat) return out;
  const std::vector<Rib>& all = w.frame.ribs;
  std::vector<std::size_t> chosen{0, all.size() / 2, all.size() - 1};
  chosen.erase(std::unique(chosen.begin(), chosen.end()), chosen.end());
  for (const std::size_t i : chosen) {
    double low = 1e9, high = -1e9; // a flat underside lies on the board and needs no gauge
    for (const Point& p : all[i].lower)
      if (p.x() > 0.1 * all[i].frame.chord) low = std::min(low, p.y()), high = std::max(high, p.y());
    out.push_back(gaugeAt(all[i], true, hand));
    if (high - low > 0.3) out.push_back(gaugeAt(all[i], false, hand));
  }
  return out;
}

} // namespace eup
