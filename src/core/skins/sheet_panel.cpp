#include "core/skins/sheet_panel.h"
#include "core/geometry/polyline.h"
#include "core/measure/units.h"
#include "core/parts/part_maker.h"
#include "core/skins/skin_list.h"
#include <algorithm>
#include <cmath>
#include <fmt/format.h>
#include <functional>

namespace eup {
namespace {

constexpr int slices = 60; // of a chord
constexpr int carvingSteps = 3;

/// The panel without its thickness: what a bent sheet is laid flat by.
PanelLoft middleLoft(const PanelBrief& d) {
  const auto thin = [](const SectionChoice& choice) {
    DrawnNumbers n = choice.drawn;
    n.plate = 1e-4, n.tailTaper = 0, n.nose = PlateNose::round;
    return makeDrawn(choice.kind, n);
  };
  return {d.panel, thin(d.sections.root), thin(d.sections.tip)};
}

/// Where a straight line crosses a closed outline, from low to high along it; both ends, or nothing.
Polyline within(const Polyline& outline, const Point& at, const Point& way) {
  const Point square(-way.y(), way.x());
  std::vector<double> met;
  for (std::size_t i = 0; i < outline.size(); ++i) {
    const Point &a = outline[i], &b = outline[(i + 1) % outline.size()];
    const double u = (a - at).dot(square), v = (b - at).dot(square);
    if ((u < 0) == (v < 0)) continue;
    met.push_back((lerp(a, b, u / (u - v)) - at).dot(way));
  }
  if (met.size() < 2) return {};
  const auto [low, high] = std::minmax_element(met.begin(), met.end());
  return {at + way * *low, at + way * *high};
}

/// Boards lie along the grain, side by side; their seams, and how much they measure.
void addBoards(const PanelBrief& d, const Point& front, const Point& edge, SheetPanelMade& out) {
  const double turn = degToRad(d.sheet.grainDeg); // towards the trailing edge going outwards: clockwise on the blank
  const Point along(edge.x() * std::cos(turn) + edge.y() * std::sin(turn),
                    edge.y() * std::cos(turn) - edge.x() * std::sin(turn)),
      across(along.y(), -along.x());
  Box box, square;
  for (const Point& p : out.outline) {
    box.include(Point((p - front).dot(along), (p - front).dot(across)));
    square.include(Point((p - front).dot(edge), (p - front).dot(Point(edge.y(), -edge.x()))));
  }
  out.length = square.width(), out.width = square.height();
  out.boardLength = box.width();
  out.boards = std::max(1, static_cast<int>(std::ceil(box.height() / d.cutList.sheetWidth - 1e-9)));
  out.boardWidth = box.height() / out.boards;
  for (int i = 1; i < out.boards; ++i) {
    const double off = box.low.y() + out.boardWidth * i;
    if (Polyline seam = within(out.outline, front + across * off, along); !seam.empty())
      out.seams.push_back(std::move(seam));
  }
}

/// The blank runs out to the tip's outline beyond its last station, of which `nose` and `tail` are the corners.
void addTip(const std::optional<TipShape>& tip, double chord, const Point& nose, const Point& tail,
            SheetPanelMade& out) {
  if (!tip || tip->edge.size() < 3 || chord <= 0) return;
  const Point aft = (tail - nose) / chord, beyond = Point(-aft.y(), aft.x());
  Polyline end;
  end.reserve(tip->edge.size());
  for (const Point& p : tip->edge) end.push_back(nose + aft * p.x() + beyond * p.y());
  out.tip = end;
  const Point hair = -beyond.normalized() * 1e-3; // it lies over the panel by so much, so that the two are one
  end.insert(end.end(), {tail + hair, nose + hair});
  if (signedArea(end) < 0) std::reverse(end.begin(), end.end());
  const Region one = unite({out.outline}, {end});
  if (const Polyline* most = largestOf(one)) out.outline = *most;
}

/// Surfaces on hinges are sawn from the blank; one of its own wood is no part of it. `on` lays a fraction of the chord
/// at t on the blank, a little behind the tail too.
void partAtHinges(const PanelBrief& d, const PanelLoft& loft, const Frame& frame,
                  const std::function<Point(double fraction, double t)>& on, SheetPanelMade& out) {
  if (d.surfaces.empty()) return;
  const auto gaps = skinGaps(d, loft, frame);
  for (const SkinGap& gap : gaps[0]) {
    const Surface& s = d.surfaces[static_cast<std::size_t>(gap.surface)];
    if (!s.partsRibs()) continue;
    const auto round = [&](const SurfaceLine& line, double from, double to, double tail) {
      constexpr int steps = 12;
      Polyline path{on(tail, from)};
      for (int i = 0; i <= steps; ++i) {
        const double t = from + (to - from) * i / steps;
        path.push_back(on(line.at(t), t));
      }
      path.push_back(on(tail, to));
      return path;
    };
    if (!s.ofOwnWood()) {
      out.sawn.push_back({gap.surface, round(gap.wing, gap.from, gap.to, 1)});
      out.sawn.push_back({gap.surface, round(gap.own, gap.ownFrom, gap.ownTo, 1)});
      continue;
    }
    constexpr double behind = 1.3, past = 1; // of the chord; mm over an end that is the panel's own
    const double span = loft.span();
    Polyline loop = round(gap.wing, gap.from > 1e-6 ? gap.from : -past, gap.to < span - 1e-6 ? gap.to : span, behind);
    if (signedArea(loop) < 0) std::reverse(loop.begin(), loop.end());
    const Region left = subtract({out.outline}, {loop});
    if (const Polyline* most = largestOf(left)) out.outline = *most;
    const auto opened = [&](double t) { return t > gap.from + 1e-6 && t < gap.to - 1e-6; };
    for (SkinLine& station : out.stations)
      if (opened(station.t)) station.line.back() = on(gap.wing.at(station.t), station.t);
    std::vector<CarveLine> carving; // ends where an opening begins, and goes on behind it; a carved blank's y is t
    for (const CarveLine& whole : out.carving) {
      CarveLine piece{whole.left, {}};
      const auto end = [&] {
        if (piece.line.size() > 1) carving.push_back(piece);
        piece.line.clear();
      };
      for (const Point& p : whole.line)
        if (opened(p.y()) && p.x() > on(gap.wing.at(p.y()), p.y()).x())
          end();
        else
          piece.line.push_back(p);
      end();
    }
    out.carving = std::move(carving);
  }
}

void layFlat(const PanelBrief& d, const PanelLoft& loft, const Frame& frame, const std::optional<TipShape>& tip,
             SheetPanelMade& out) {
  const PanelLoft middle = middleLoft(d);
  const double edge = d.sheet.edge;
  const FlatSurface surface(middle, Face::upper, 0, 1);
  const SurfaceLine nose = SurfaceLine::atFraction(0), back = SurfaceLine::behindNose(middle, edge),
                    tail = SurfaceLine::atFraction(1);
  const SurfaceLine& from = edge > 0 ? back : nose;
  const FlatPattern p = flatPattern(surface, from, tail, innerPlane(d), outerPlane(d));
  out.outline = p.outline;
  if (edge > 0) out.strip = flatPattern(surface, nose, back, innerPlane(d), outerPlane(d)).outline;
  for (const Rib& station : frame.ribs)
    out.stations.push_back({station.name(), acrossPattern(surface, from, tail, {station.t(), station.lean, 0}),
                            station.t(), station.number});
  const Polyline end = acrossPattern(surface, nose, tail, outerPlane(d));
  addTip(tip, d.panel.tipChord, end.front(), end.back(), out);
  partAtHinges(
      d, loft, frame, [&](double fraction, double t) { return surface.at(fraction, t); }, out);
  addBoards(d, p.front.front(), (p.front.back() - p.front.front()).normalized(), out);
  if (out.way != SheetWay::bent) return;
  for (const Rib& station : frame.ribs) {
    const double t = std::clamp(station.t(), 0.0, middle.span());
    Polyline run; // without its ends, which are rounded
    const ChordFrame chord = middle.frameAt(t);
    for (int i = 0; i <= slices; ++i) run.push_back(chord.toChord(middle.at(Face::upper, 0.04 + 0.92 * i / slices, t)));
    const auto bend = sharpestBend(run, lengthOf(run) / 20);
    if (!bend) continue;
    const double radius = bend->radius + d.sheet.thickness / 2;
    if (out.bend == 0 || radius < out.bend) out.bend = radius;
  }
}

/// Chord fractions from nose to tail, closer together at either.
double fractionAt(int i) {
  return (1 - std::cos(pi * i / slices)) / 2;
}

std::vector<SheetDepth> depthsAt(const PanelLoft& loft, double t) {
  std::vector<SheetDepth> out;
  out.reserve(slices + 1);
  for (int i = 0; i <= slices; ++i) out.push_back(sheetDepthAt(loft, fractionAt(i), t));
  return out;
}

/// How thick sheet must be to hold a section, whichever way it lies in it: least of its widths near the chord line.
double leastWidth(const std::vector<SheetDepth>& depths, double chord) {
  double least = 1e9;
  for (int step = -40; step <= 40; ++step) { // a quarter of a degree each
    const double turn = degToRad(0.25 * step), slope = std::sin(turn), up = std::cos(turn);
    double high = -1e9, low = 1e9;
    for (int i = 0; i <= slices; ++i) {
      const SheetDepth& at = depths[static_cast<std::size_t>(i)];
      const double off = slope * fractionAt(i) * chord;
      high = std::max(high, at.above * up - off), low = std::min(low, at.below * up - off);
    }
    least = std::min(least, high - low);
  }
  return least;
}

/// From the nose aft, or from the tail forward, the chord fraction where the wing first is as deep as that; nothing
/// where it never is, or is so at its very edge.
std::optional<double> firstAsDeep(const PanelLoft& loft, double t, const std::vector<SheetDepth>& depths, double left,
                                  bool fromNose) {
  const auto at = [&](int n) { return fromNose ? n : slices - n; };
  const auto deep = [&](int n) { return depths[static_cast<std::size_t>(at(n))].deep(); };
  if (deep(0) >= left) return std::nullopt;
  int n = 1;
  while (n <= slices && deep(n) < left) ++n;
  if (n > slices) return std::nullopt;
  double shallow = fractionAt(at(n - 1)), enough = fractionAt(at(n));
  for (int halved = 0; halved < 20; ++halved) {
    const double middle = (shallow + enough) / 2;
    (sheetDepthAt(loft, middle, t).deep() < left ? shallow : enough) = middle;
  }
  return enough;
}

/// Planed from a blank that is as large as the plan.
void carve(const PanelBrief& d, const PanelLoft& loft, const Frame& frame, const std::optional<TipShape>& tip,
           SheetPanelMade& out) {
  const Panel& p = d.panel;
  const double edge = d.sheet.edge;
  const auto le = [&](double t) { return p.tipSetback * t / p.span; };
  const auto chord = [&](double t) { return p.rootChord + (p.tipChord - p.rootChord) * t / p.span; };
  const auto quad = [&](double from, double rootTo, double tipTo) -> Polyline {
    return {{le(0) + from, 0}, {rootTo, 0}, {tipTo, p.span}, {le(p.span) + from, p.span}};
  };
  out.outline = quad(edge, le(0) + chord(0), le(p.span) + chord(p.span));
  if (edge > 0) out.strip = quad(0, le(0) + edge, le(p.span) + edge);
  for (const Rib& station : frame.ribs) {
    const double t = std::clamp(station.t(), 0.0, p.span);
    out.stations.push_back({station.name(), {{le(t) + edge, t}, {le(t) + chord(t), t}}, t, station.number});
    const double width = leastWidth(depthsAt(loft, t), chord(t));
    if (width > out.needs) out.needs = width, out.needsAt = station.number;
  }
  for (int level = 1; level <= carvingSteps; ++level)
    for (int end = 0; end < 2; ++end) out.carving.push_back({out.needs * level / (carvingSteps + 1), {}});
  constexpr int steps = 12;
  for (int k = 0; k <= steps; ++k) {
    const double t = p.span * k / steps;
    const std::vector<SheetDepth> depths = depthsAt(loft, t);
    for (std::size_t i = 0; i < out.carving.size(); ++i)
      if (const auto f = firstAsDeep(loft, t, depths, out.carving[i].left, i % 2 == 0); f && *f * chord(t) >= edge)
        out.carving[i].line.emplace_back(le(t) + *f * chord(t), t);
  }
  std::erase_if(out.carving, [](const CarveLine& line) { return line.line.size() < 2; });
  addTip(tip, chord(p.span), {le(p.span), p.span}, {le(p.span) + chord(p.span), p.span}, out);
  partAtHinges(
      d, loft, frame,
      [&](double f, double t) -> Point {
        return {le(t) + f * chord(t), t};
      },
      out);
  addBoards(d, {le(0) + edge, 0}, Point(p.tipSetback, p.span).normalized(), out);
}

} // namespace

SheetWay sheetWayOf(const PanelBrief& d) {
  const auto both = [&](SectionKind kind) {
    return d.sections.root.kind == kind && d.sections.tip.kind == kind && d.sections.root.steps.empty() &&
           d.sections.tip.steps.empty();
  };
  return both(SectionKind::flatPlate)     ? SheetWay::flat
         : both(SectionKind::curvedPlate) ? SheetWay::bent
                                          : SheetWay::carved;
}

SheetDepth sheetDepthAt(const PanelLoft& loft, double fraction, double t) {
  const ChordFrame frame = loft.frameAt(t);
  return {frame.toChord(loft.at(Face::upper, fraction, t)).y(), frame.toChord(loft.at(Face::lower, fraction, t)).y()};
}

Polyline formerAt(const PanelLoft& loft, double t) {
  const ChordFrame frame = loft.frameAt(t);
  Polyline out;
  out.reserve(slices + 1);
  for (int i = 0; i <= slices; ++i)
    out.push_back(frame.toChord(loft.at(Face::lower, static_cast<double>(i) / slices, t)));
  if (signedArea(out) < 0) std::reverse(out.begin(), out.end());
  return out;
}

std::optional<SheetPanelMade> sheetPanelOf(const PanelBrief& d, const PanelShape& shape, const Frame& frame,
                                           const std::optional<TipShape>& tip) {
  if (d.built != Built::sheet) return std::nullopt;
  SheetPanelMade out;
  out.way = sheetWayOf(d);
  out.needs = d.sheet.thickness;
  if (out.way == SheetWay::carved) {
    out.needs = 0;
    carve(d, shape.loft, frame, tip, out);
  } else {
    layFlat(d, shape.loft, frame, tip, out);
  }
  out.area = std::abs(signedArea(out.outline));
  out.stripLength = std::hypot(d.panel.span, d.panel.tipSetback);
  return out;
}

namespace {

/// What of a panel of sheet stands between two places of the chord, mm behind the nose.
Slice woodBetween(const PanelLoft& loft, double t, double from, double to) {
  const ChordFrame at = loft.frameAt(t);
  Slice out;
  Point moment(0, 0);
  for (int i = 0; i < slices; ++i) {
    const double x = from + (to - from) * (i + 0.5) / slices, wide = (to - from) / slices,
                 f = std::clamp(x / at.chord, 0.0, 1.0);
    const double area = std::max(sheetDepthAt(loft, f, t).deep(), 0.0) * wide;
    out.volume += area, moment += area * loft.middle(f, t);
  }
  if (out.volume > 0) out.at = moment / out.volume;
  return out;
}

void addBlank(PartMaker& m, const SheetPanelMade& made) {
  const SheetPanel& s = m.d.sheet;
  Part part =
      PartMaker::piece({PieceKind::panelSheet},
                       made.way == SheetWay::carved ? "panel, carved from sheet" : "panel of sheet", s.material);
  part.stock = Stock::sheet(s.thickness);
  part.count = made.boards;
  part.length = made.boardLength, part.breadth = made.boardWidth, part.area = made.area / made.boards;
  part.grain = GrainWay::length, part.drawn = DrawnOn::skins;
  const double span = m.loft.span();
  m.addStraight(std::move(part), 0, span,
                [&](double t) { return woodBetween(m.loft, t, s.edge, m.loft.frameAt(t).chord); });
  takeOut(m.out.back(),
          takenByHinges(m.d, m.loft, m.hinges, 0, span, [&](double t) { return bareSectionAt(m.loft, t); }),
          m.heavy(s.material));
  if (made.tip.size() < 3) return;
  // The tip: a plate as thick as the sheet, or carved down to a thin edge, half as deep as the last section on average.
  const ChordFrame frame = m.loft.frameAt(span);
  const double thick =
      made.way == SheetWay::carved ? woodBetween(m.loft, span, 0, frame.chord).volume / frame.chord / 2 : s.thickness;
  const double grams = std::abs(signedArea(made.tip)) * thick * m.heavy(s.material);
  const Point middle = frame.fromChord({frame.chord / 2, 0});
  double out = 0;
  for (const Point& p : made.tip) out = std::max(out, p.y());
  Part& blank = m.out.back();
  const Point3 at(middle.x(), span + std::max(out - made.stations.back().line.front().y(), 0.0) * 0.42, middle.y());
  blank.centre = (blank.centre * blank.grams + at * grams) / (blank.grams + grams);
  blank.grams += grams;
  blank.runs.push_back({span - 1, span, grams, grams});
}

void addEdgeStrip(PartMaker& m, const SheetPanelMade& made) {
  const SheetPanel& s = m.d.sheet;
  if (s.edge <= 0) return;
  Part part = PartMaker::piece({PieceKind::edgeStrip}, "leading edge strip", s.edgeMaterial);
  part.stock = Stock::strip(s.edge, made.way == SheetWay::carved ? made.needs : s.thickness);
  const auto middle = [&](double t) -> Point3 {
    const Point at = woodBetween(m.loft, t, 0, s.edge).at;
    return {at.x(), t, at.y()};
  };
  part.length = made.stripLength;
  m.reachJoins(part, middle(0), middle(m.loft.span()), part.stock.thickness);
  part.breadth = s.edge, part.grain = GrainWay::length;
  m.addStraight(std::move(part), 0, m.loft.span(), [&](double t) { return woodBetween(m.loft, t, 0, s.edge); });
}

void addFormers(PartMaker& m) {
  const SheetPanel& s = m.d.sheet;
  for (const Rib& station : m.ribs) {
    const double t = m.tOf(station);
    Part part =
        PartMaker::piece({PieceKind::former, station.number}, fmt::format("former {}", station.name()), s.material);
    part.outline = formerAt(m.loft, t);
    const Box box = boundsOf(part.outline);
    part.stock = Stock::sheet(s.formerThickness);
    part.area = std::abs(signedArea(part.outline));
    part.length = box.width(), part.breadth = box.height();
    part.grain = GrainWay::chord, part.drawn = DrawnOn::skins;
    part.grams = part.area * s.formerThickness * m.heavy(s.material);
    part.at = t;
    const Point middle = station.frame.fromChord(centroidOf(part.outline));
    part.centre = {middle.x(), t, middle.y()};
    m.add(std::move(part));
  }
}

/// Along a face at a station: how far, and where its middle lies.
Slice faceAt(const PanelLoft& loft, Face face, double t) {
  const Polyline arc = loft.cutAt(t).face(face);
  Point moment(0, 0);
  double sum = 0;
  for (std::size_t i = 1; i < arc.size(); ++i) {
    const double step = (arc[i] - arc[i - 1]).norm();
    sum += step, moment += step * (arc[i] + arc[i - 1]) / 2;
  }
  return {sum, sum > 0 ? Point(moment / sum) : Point(0, 0)};
}

/// Of a face that surfaces of their own wood take from the cloth, one layer thick as 1: mm², and where.
BodyTaken clothTaken(const PartMaker& m, Face face) {
  BodyTaken out;
  for (const HingeLine& line : m.hinges) {
    if (!m.d.surfaces[static_cast<std::size_t>(line.surface)].ofOwnWood()) continue;
    const auto wide = [&](double t) {
      const ChordFrame f = m.loft.frameAt(t);
      const double front = std::clamp(wingFaceAt(m.d, m.loft, line, t) / f.chord, 0.0, 1.0);
      return arcTo(m.loft, face, 1, t) - arcTo(m.loft, face, front, t);
    };
    const double middle = (line.from + line.to) / 2, in = wide(line.from), between = wide(middle), away = wide(line.to);
    const double area = (line.to - line.from) / 6 * (in + 4 * between + away);
    const Point at = m.loft.at(face, std::clamp(1 - between / 2 / m.loft.frameAt(middle).chord, 0.0, 1.0), middle);
    out.volume += area, out.moment += area * Point3(at.x(), middle, at.y());
    out.runs.push_back({line.from, line.to, in, away});
  }
  return out;
}

void addCloth(PartMaker& m, const SheetPanelMade& made, Face face) {
  const Cloth& c = m.d.cloth;
  const bool top = face == Face::upper;
  const int layers = c.layers(top);
  if (layers == 0) return;
  const double layer = c.layer(m.d.tables.named(c.material).density), heavy = layer * m.heavy(c.material);
  Part part = PartMaker::piece({PieceKind::cloth, 0, 0, 0, top},
                               top ? "cloth on top, in resin" : "cloth below, in resin", c.material);
  part.stock = Stock::sheet(layer);
  part.count = layers;
  const double span = m.loft.span(), inner = faceAt(m.loft, face, 0).volume, outer = faceAt(m.loft, face, span).volume;
  part.length = made.length, part.breadth = std::max(inner, outer);
  for (std::size_t i = 1; i < m.ribs.size(); ++i) // straight between the stations, as it is weighed
    part.area += (faceAt(m.loft, face, m.tOf(m.ribs[i - 1])).volume + faceAt(m.loft, face, m.tOf(m.ribs[i])).volume) /
                 2 * (m.tOf(m.ribs[i]) - m.tOf(m.ribs[i - 1]));
  m.addRunning(std::move(part), heavy * layers,
               [&](const Rib& station) { return faceAt(m.loft, face, m.tOf(station)); });
  Part& cloth = m.out.back();
  const BodyTaken taken = clothTaken(m, face);
  takeOut(cloth, taken, heavy * layers);
  cloth.area -= taken.volume;
  // The tip, and half of each strip over a join.
  const auto more = [&](double area, double t) {
    if (area <= 0) return;
    cloth.area += area / layers;
    const double grams = area * heavy;
    cloth.centre =
        (cloth.centre * cloth.grams + Point3(cloth.centre.x(), t, cloth.centre.z()) * grams) / (cloth.grams + grams);
    cloth.grams += grams;
    cloth.runs.push_back({std::max(t - 1, 0.0), std::max(t - 1, 0.0) + 1, grams, grams});
  };
  if (made.tip.size() > 2) more(std::abs(signedArea(made.tip)) * layers, span);
  if (m.d.id.panel > 0 || m.d.mirrored) more(c.strip / 2 * inner, 0);
  if (m.d.beyond) more(c.strip / 2 * outer, span);
}

} // namespace

std::vector<Part> partsOfSheetPanel(const PanelBrief& d, const PanelLoft& loft, const Frame& frame,
                                    const SheetPanelMade& made) {
  PartMaker m(d, loft, frame);
  addBlank(m, made);
  addEdgeStrip(m, made);
  if (made.way == SheetWay::bent && d.sheet.formers) addFormers(m);
  for (const Face face : {Face::upper, Face::lower}) addCloth(m, made, face);
  return std::move(m.out);
}

} // namespace eup
