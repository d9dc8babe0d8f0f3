// Parts of spars: sheet, caps piece by piece, doublers, webs; and what a spar's strips weigh.
#include "core/design/lasting.h"
#include "core/geometry/polyline.h"
#include "core/parts/part_maker.h"
#include "core/parts/spar_sheets.h"
#include <algorithm>
#include <fmt/format.h>

namespace eup {
namespace {

void addSheetSpar(PartMaker& m, const Spar& s, const SparLine& line) {
  Part part = PartMaker::piece({PieceKind::sheetSpar, numberIn(m.d.spars, line.index)}, s.name, s.sheetMaterial);
  part.stock = Stock::sheet(s.sheet);
  part.grain = GrainWay::length, part.drawn = DrawnOn::ribs;
  const auto deep = [&](double t) {
    return std::max(line.upperSeat.at(t).y() - line.lowerSeat.at(t).y() - s.cutShort, 0.0);
  };
  part.length = line.end * line.stretch, part.breadth = std::max(deep(0), deep(line.end));
  const std::size_t before = m.out.size();
  m.addStraight(std::move(part), 0, line.end, [&](double t) {
    return Slice{deep(t) * s.sheet * line.stretch, line.middle.at(t)};
  });
  if (m.out.size() == before) return;
  // As it is cut: less its slots for the ribs.
  Part& whole = m.out.back();
  whole.area = std::abs(signedArea(fullDepthSparOutline(s, line)));
  const double left = whole.area * s.sheet * m.heavy(s.sheetMaterial) / whole.grams;
  whole.grams *= left;
  for (Part::Run& run : whole.runs) run.atFrom *= left, run.atTo *= left;
}

/// What closes a sheet spar that was cut too shallow: one strip in the open slots, or a web from rib to rib.
void addRescue(PartMaker& m, const Spar& s, const SparLine& line) {
  if (s.cutShort <= 0 || !s.rescued) return;
  const StraightLine& seat = s.shortBelow ? line.lowerSeat : line.upperSeat;
  const Point in(0, (s.shortBelow ? 1 : -1) * s.cutShort / 2);
  const auto put = [&](Part part, double from, double to) {
    part.grain = GrainWay::length;
    part.length = (to - from) * line.stretch, part.breadth = s.cutShort;
    part.stock = Stock::strip(s.sheet, s.cutShort);
    m.addStraight(std::move(part), from, to, [&](double t) {
      return Slice{s.sheet * s.cutShort * line.stretch, seat.at(t) + in};
    });
  };
  const int number = numberIn(m.d.spars, line.index);
  if (rescuedByStrip(s))
    return put(PartMaker::piece({PieceKind::rescue, number}, s.name + ", strip in its slots", s.sheetMaterial), 0,
               line.end);
  for (std::size_t i = 1; i < m.ribs.size(); ++i) {
    const Rib &near = m.ribs[i - 1], &away = m.ribs[i];
    const double from = std::max(near.t() + near.body().second, 0.0),
                 to = std::min(away.t() + away.body().first, line.end);
    if (to <= from) continue;
    Part part = PartMaker::piece({PieceKind::rescueOfBay, number, static_cast<int>(i)},
                                 fmt::format("{}, strip of bay {}", s.name, i), s.sheetMaterial);
    part.bay = static_cast<int>(i);
    put(std::move(part), from, to);
  }
}

/// A cap, piece by piece: from where its wood changes another one; a doubler is a strip of its own.
void addCap(PartMaker& m, const Spar& s, const SparLine& line, bool top) {
  const Cap& cap = top ? s.top : s.bottom;
  if (!cap.fitted) return;
  const StraightLine& seat = top ? line.upperSeat : line.lowerSeat;
  const int number = numberIn(m.d.spars, line.index);
  const std::string name = s.name + (top ? ", top cap" : ", bottom cap");
  Cap bare = cap;
  bare.doubled = false;
  const auto strip = [&](PieceKind kind, const std::string& nameEnd, double from, double to) {
    if (to <= from) return;
    const bool doubler = kind == PieceKind::doubler || kind == PieceKind::doublerOuter;
    const Cap in = capAt(bare, from + 1e-9), away = capAt(bare, to - 1e-9);
    Part part = PartMaker::piece({kind, number, 0, 0, top}, name + nameEnd, in.material);
    part.breadth = std::max(in.width, away.width);
    part.grain = GrainWay::length;
    part.stock = doubler                        ? Stock::strip(in.width, cap.doubler, away.width, cap.doubler)
                 : cap.shape == CapShape::strip ? Stock::strip(in.width, in.depth, away.width, away.depth)
                                                : Stock::rod(cap.depth, boreOf(cap));
    const double inwards = top ? -1 : 1;
    const auto middle = [&](double share, const Cap& here) -> Point3 {
      const double t = share * line.end, off = doubler ? here.depth + cap.doubler / 2 : here.depth / 2;
      const Point at = seat.at(t) + Point(0, inwards * off);
      return {at.x(), t, at.y()};
    };
    const Point3 begins = middle(from, in), ends = middle(to, away);
    part.length = (ends - begins).norm();
    m.reachJoins(part, begins, ends, doubler ? cap.doubler : in.depth);
    m.addStraight(
        std::move(part), from * line.end, to * line.end,
        [&](double t) {
          const Cap here = capAt(bare, std::clamp(line.share(t), from, to));
          const double area = doubler ? here.width * cap.doubler : capArea(here),
                       off = doubler ? here.depth + cap.doubler / 2 : here.depth / 2;
          return Slice{area * line.stretch, seat.at(t) + Point(0, inwards * off)};
        },
        cap.tapers ? cap.taperFrom * line.end : 0);
  };
  const double end = reachOf(cap), change = cap.changes ? std::min(cap.changesAt, end) : end;
  strip(PieceKind::cap, "", 0, change);
  strip(PieceKind::capOuter, ", its outer piece", change, end);
  if (cap.doubled && cap.shape == CapShape::strip) {
    const double to = std::min(cap.doubledTo, end);
    strip(PieceKind::doubler, ", doubler", 0, std::min(to, change));
    strip(PieceKind::doublerOuter, ", doubler's outer piece", change, to);
  }
}

/// Clear between the caps' inner faces.
double between(const Spar& s, const SparLine& line, double t) {
  const double share = line.share(t);
  const Cap top = capAt(s.top, share), bottom = capAt(s.bottom, share);
  return std::max(line.upperSeat.at(t).y() - line.lowerSeat.at(t).y() - top.depth - bottom.depth, 0.0);
}

/// From rib to rib, between the caps or on their faces.
void addWebs(PartMaker& m, const Spar& s, const SparLine& line) {
  for (std::size_t i = 1; i < m.ribs.size(); ++i) {
    const Rib &in = m.ribs[i - 1], &away = m.ribs[i];
    const auto face = [&](const Rib& rib, double square) { // the rib's face on the spar's line, mm of span
      return metAt(rib, line.planRoot, line.planTip, line.middle.span) +
             square * std::cos(line.sweep) / std::cos(rib.turn + line.sweep);
    };
    const double from = std::max(face(in, in.body().second), 0.0),
                 to = std::min({face(away, away.body().first), line.end, m.loft.span()});
    const double wide = webWidthAt(s, line.share((from + to) / 2));
    if (to <= from || wide <= 0) continue;
    const bool core = s.webs == Webs::core;
    Part part = PartMaker::piece({PieceKind::webOfBay, numberIn(m.d.spars, line.index), static_cast<int>(i)},
                                 fmt::format("{}, {} of bay {}", s.name, core ? "core" : "web", i), s.webMaterial);
    part.bay = static_cast<int>(i);
    const auto tall = [&](double t) {
      const WebStand at = webStandAt(s, line, t);
      return std::max(at.high - at.low, 0.0);
    };
    const double along = (to - from) * line.stretch, high = std::max(tall(from), tall(to));
    const bool upright = !core && s.webGrain == Grain::upright;
    part.grain = upright ? GrainWay::upright : GrainWay::length;
    part.length = upright ? high : along, part.breadth = upright ? along : high;
    part.stock = core ? Stock::strip(wide, high) : Stock::sheet(wide);
    part.area = core ? 0 : (tall(from) + tall(to)) / 2 * along;
    if (!core && part.area > 0) { // the caps need not be parallel
      const auto corner = [&](double t, bool top) -> Point {
        const WebStand at = webStandAt(s, line, t);
        return {(t - from) * line.stretch, top ? at.high : at.low};
      };
      part.outline = {corner(from, false), corner(to, false), corner(to, true), corner(from, true)};
      part.drawn = DrawnOn::skins;
    }
    m.addStraight(std::move(part), from, to, [&](double t) {
      Point middle = line.middle.at(t);
      middle.x() += webStandAt(s, line, t).aft;
      return Slice{tall(t) * webWidthAt(s, line.share(t)) * line.stretch, middle};
    });
  }
}

void addWholeWeb(PartMaker& m, const Spar& s, const SparLine& line) {
  const Polyline outline = webOutline(s, line);
  if (outline.empty()) return;
  Part part = PartMaker::piece({PieceKind::web, numberIn(m.d.spars, line.index)}, s.name + ", web", s.webMaterial);
  const Box box = boundsOf(outline);
  const bool upright = s.webGrain == Grain::upright;
  part.grain = upright ? GrainWay::upright : GrainWay::length;
  part.length = upright ? box.height() : box.width(), part.breadth = upright ? box.width() : box.height();
  part.stock = Stock::sheet(s.webThickness);
  part.area = std::abs(signedArea(outline));
  part.drawn = DrawnOn::ribs;
  part.grams = part.area * s.webThickness * m.heavy(s.webMaterial);
  const double t = centroidOf(outline).x() / line.stretch;
  const Point middle = line.middle.at(t);
  part.centre = {middle.x(), t, middle.y()};
  part.at = t;
  const auto end = [&](double along) -> Point3 {
    const Point on = line.middle.at(along);
    return {on.x(), along, on.y()};
  };
  part.from = end(0), part.to = end(box.high.x() / line.stretch);
  m.spread(part, 0, box.high.x() / line.stretch, [&](double at) { return between(s, line, at); });
  m.out.push_back(std::move(part));
}

} // namespace

void addSparParts(PartMaker& m, const SparLine& line) {
  const Spar& s = m.d.spars[static_cast<std::size_t>(line.index)];
  if (s.kind == SparKind::fullDepth) {
    addSheetSpar(m, s, line);
    return addRescue(m, s, line);
  }
  for (const bool top : {true, false}) addCap(m, s, line, top);
  if (s.webs == Webs::between || s.webs == Webs::core)
    addWebs(m, s, line);
  else if (s.webs == Webs::continuous)
    addWholeWeb(m, s, line);
}

double sparGrams(const Spar& spar, const SparLine& line, const Tables& tables) {
  const auto heavyAt = [&](double t) { // g per mm of the panel's span
    if (spar.kind == SparKind::fullDepth)
      return std::max(line.upperSeat.at(t).y() - line.lowerSeat.at(t).y() - spar.cutShort, 0.0) * spar.sheet *
             tables.named(spar.sheetMaterial).density * 1e-6;
    double sum = 0;
    for (const Cap& fitted : {spar.top, spar.bottom}) {
      const Cap cap = capAt(fitted, line.share(t));
      if (cap.fitted) sum += capArea(cap) * tables.named(cap.material).density * 1e-6;
    }
    return sum;
  };
  // Simpson's rule between the places where a cap changes: exact for what tapers in width and depth.
  std::vector<double> places{0, 1};
  for (const Cap& cap : {spar.top, spar.bottom}) {
    if (cap.changes) places.push_back(cap.changesAt);
    if (cap.tapers) places.push_back(cap.taperFrom);
    if (cap.doubled) places.push_back(cap.doubledTo);
    if (cap.drops) places.push_back(cap.dropsAt);
  }
  std::sort(places.begin(), places.end());
  double sum = 0;
  constexpr double hair = 1e-9; // each stretch with what lies inside its ends
  for (std::size_t i = 1; i < places.size(); ++i) {
    const double from = places[i - 1] * line.end, to = places[i] * line.end;
    sum += (to - from) * (heavyAt(from + hair) + 4 * heavyAt((from + to) / 2) + heavyAt(to - hair)) / 6;
  }
  return line.stretch * sum;
}

} // namespace eup
