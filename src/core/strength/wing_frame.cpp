#include "core/strength/wing_frame.h"
#include "core/geometry/polyline.h"
#include "core/parts/diagonals.h"
#include "core/strength/d_box.h"
#include "core/strength/space_frame.h"
#include <algorithm>
#include <cmath>
#include <iterator>
#include <map>
#include <set>

namespace eup {
namespace {

/// Something that runs along the span, and where it is.
struct Line {
  enum class Kind { leadingEdge, nose, spar, hinge, trailingEdge } kind = Kind::spar;
  const SparLine* spar = nullptr;
  const HingeLine* hinge = nullptr;
  std::vector<int> order; ///< indices in `FrameModel::crossings`, from the root outwards
};

/// A rib on a line.
struct Crossing {
  int node = 0;
  double t = 0;
  Point3 middle, top, bottom; ///< on the rib; the same three for an edge
};

/// The panel as bars and walls.
class FrameModel {
public:
  FrameModel(const PanelBrief& d, const PanelLoft& l, const Frame& built, bool opened) : design(d), loft(l) {
    const std::vector<SparLine>& s = built.spars;
    const bool sheeted = d.sheeting.top || d.sheeting.bottom;
    if (d.leadingEdge.kind != LeadingEdgeKind::none || sheeted)
      lines.push_back({Line::Kind::leadingEdge, nullptr, nullptr, {}});
    if (sheeted && !s.empty() && !lines.empty()) lines.push_back({Line::Kind::nose, nullptr, nullptr, {}});
    for (const SparLine& line : s)
      if (sparWidth(spar(line), 0) > 0) lines.push_back({Line::Kind::spar, &line, nullptr, {}});
    if (d.trailingEdge.kind != TrailingEdgeKind::none)
      lines.push_back({Line::Kind::trailingEdge, nullptr, nullptr, {}});
    for (const HingeLine& line : built.hinges)
      if (opened && d.surfaces[static_cast<std::size_t>(line.surface)].partsRibs()) {
        lines.push_back({Line::Kind::hinge, nullptr, &line, {}});
        Opened cutOut{line.from, line.to, 0, loft.span()}; // the ribs at their ends are whole
        for (const Rib& rib : built.ribs) {
          if (rib.t() <= line.from + 1e-6) cutOut.first = std::max(cutOut.first, rib.t());
          if (rib.t() >= line.to - 1e-6) cutOut.last = std::min(cutOut.last, rib.t());
        }
        open.emplace(&line, cutOut);
      }
    // Where each stands is asked before any is moved: the nose's place is asked of the list itself.
    std::vector<std::pair<double, Line>> placed;
    for (const Line& line : lines) placed.emplace_back(at(line, 0).x(), line);
    std::stable_sort(placed.begin(), placed.end(), [](const auto& a, const auto& b) { return a.first < b.first; });
    for (std::size_t i = 0; i < lines.size(); ++i) lines[i] = std::move(placed[i].second);
  }

  bool swings() const {
    return std::count_if(lines.begin(), lines.end(),
                         [](const Line& l) { return l.kind != Line::Kind::nose && l.kind != Line::Kind::hinge; }) < 2;
  }

  /// A rib's nodes, and the rib between them.
  void addRib(const Rib& rib, bool main) {
    std::vector<int> along(lines.size(), -1);
    for (std::size_t k = 0; k < lines.size(); ++k) {
      const auto c = crossing(lines[k], rib);
      if (!c) continue;
      along[k] = static_cast<int>(crossings.size());
      crossings.push_back(*c);
      crossings.back().node = frame.node(c->middle);
      if (rib.kind == RibKind::root) frame.hold(crossings.back().node);
      lines[k].order.push_back(along[k]);
    }
    std::vector<int> sequence; // from nose to tail, with the places where it is half-lapped
    std::copy_if(along.begin(), along.end(), std::back_inserter(sequence), [](int i) { return i >= 0; });
    for (const Lap& lap : rib.laps) sequence.push_back(lapped(rib, lap));
    std::sort(sequence.begin(), sequence.end(), [&](int a, int b) { return of(a).middle.x() < of(b).middle.x(); });
    int last = -1;
    for (const int i : sequence) {
      if (last >= 0) {
        const Crossing &a = of(last), &b = of(i);
        const double deep = ((a.top - a.bottom).z() + (b.top - b.bottom).z()) / 2;
        const Material& wood = of(woodOf(design.ribs, rib));
        if (rib.sticks.empty())
          frame.member(a.node, a.middle, b.node, b.middle,
                       rectangularMember(wood.modulus, wood.shear, rib.thickness, std::max(deep, rib.thickness)),
                       Point3::UnitZ());
        else
          for (const bool top : {true, false}) // its two strips
            frame.member(a.node, top ? a.top : a.bottom, b.node, top ? b.top : b.bottom,
                         rectangularMember(wood.modulus, wood.shear, rib.thickness, design.sticks.depth),
                         Point3::UnitZ());
      }
      last = i;
    }
    if (main) addCapStrips(rib, sequence);
    if (main) ribsOn.push_back(std::move(along));
  }

  void addLines() {
    for (Line& line : lines) {
      std::sort(line.order.begin(), line.order.end(), [&](int a, int b) { return of(a).t < of(b).t; });
      for (std::size_t i = 1; i < line.order.size(); ++i) addBay(line, of(line.order[i - 1]), of(line.order[i]));
    }
  }

  /// Sheet, covering and diagonals, bay by bay between neighbouring ribs.
  void addWalls() {
    const CoveringStuff& cover = design.tables.covering(design.stiffening.covering);
    for (std::size_t i = 1; i < ribsOn.size(); ++i) {
      // From line to line; a hinge line is one only where the bay is open.
      std::size_t before = lines.size();
      for (std::size_t k = 0; k < lines.size(); ++k) {
        if (lines[k].kind == Line::Kind::hinge && (ribsOn[i - 1][k] < 0 || ribsOn[i][k] < 0)) continue;
        if (before < lines.size()) addWall(i, before, k, cover.shear);
        before = k;
      }
    }
    addDiagonals();
  }

  std::optional<FrameTwist> twistUnder(double couple) {
    const auto [first, last] = endsOf(ribsOn.back());
    if (first < 0 || first == last) return std::nullopt;
    const Crossing &nose = of(first), &tail = of(last);
    const double apart = tail.middle.x() - nose.middle.x();
    if (apart <= 0) return std::nullopt;
    frame.force(nose.node, nose.middle, {0, 0, -couple / apart});
    frame.force(tail.node, tail.middle, {0, 0, couple / apart});
    if (!frame.solve()) return std::nullopt;
    result.couple = couple;
    result.twist = (frame.moved(tail.node, tail.middle).z() - frame.moved(nose.node, nose.middle).z()) / apart;
    result.stiffness = result.twist > 0 ? couple * loft.span() / result.twist : 0;
    result.nodes = static_cast<int>(frame.size());
    return result;
  }

private:
  /// Bays that a surface is cut out of, mm of the span: itself, and from which rib to which they are open.
  struct Opened {
    double from = 0, to = 0, first = 0, last = 0;
  };

  void addWall(std::size_t bay, std::size_t ahead, std::size_t behind, double covering) {
    const std::array<int, 4> at{ribsOn[bay - 1][ahead], ribsOn[bay][ahead], ribsOn[bay][behind],
                                ribsOn[bay - 1][behind]};
    if (*std::min_element(at.begin(), at.end()) < 0) return;
    for (const bool top : {true, false}) {
      const SheetRun* nose = design.sheeting.on(top);
      const bool sheet = nose && underSheet(lines[behind], at, top ? Face::upper : Face::lower);
      const SheetedBays* all = sheet ? nullptr : sheetOver(static_cast<int>(bay), lines[ahead], lines[behind], at, top);
      wall(at, top,
           sheet                                 ? skinShear(design, *nose, top)
           : all                                 ? skinShear(design, *all, top)
           : design.stiffening.covers(top, !top) ? covering
                                                 : 0);
    }
  }

  /// Whether the tail between two places of the span is part of a surface that moves.
  bool tailMoves(double from, double to) const {
    return std::any_of(open.begin(), open.end(), [&](const auto& cutOut) {
      return cutOut.second.from < to - 1e-6 && cutOut.second.to > from + 1e-6;
    });
  }

  /// Whether the rib there stands beside the surface, its own tail on it.
  bool endsTail(double t) const {
    return std::none_of(open.begin(), open.end(), [&](const auto& cutOut) { return cutOut.first->covers(t); });
  }

  const Spar& spar(const SparLine& line) const { return design.spars[static_cast<std::size_t>(line.index)]; }
  const Crossing& of(int i) const { return crossings[static_cast<std::size_t>(i)]; }
  const Material& of(const std::string& material) const { return design.tables.named(material); }

  /// On the plan.
  Point at(const Line& line, double t) const {
    const ChordFrame f = loft.frameAt(t);
    switch (line.kind) {
    case Line::Kind::leadingEdge:
      return f.fromChord({leadingMiddle(), 0});
    case Line::Kind::nose: {
      const Line* next = firstSpar();
      return next ? lerp(f.le, next->spar->middle.at(t), 0.4) : f.le;
    }
    case Line::Kind::spar:
      return line.spar->middle.at(t);
    case Line::Kind::hinge:
      return line.hinge->axis.at(t);
    case Line::Kind::trailingEdge:
      break;
    }
    return f.fromChord({f.chord - trailingMiddle(), 0});
  }
  double leadingMiddle() const { return design.leading.width > 0 ? design.leading.onRib() / 2 : 1; }
  double trailingMiddle() const { // a wedge's middle of area, from its edge, or a strip's
    return design.trailingEdge.kind == TrailingEdgeKind::square ? design.trailing.onRib() / 2
                                                                : 2 * design.trailing.onRib() / 3;
  }
  const Line* firstSpar() const {
    for (const Line& l : lines)
      if (l.kind == Line::Kind::spar) return &l;
    return nullptr;
  }

  std::optional<Crossing> crossing(const Line& line, const Rib& rib) const {
    const double span = loft.span();
    const Point a = at(line, 0), b = at(line, span);
    const double t = metAt(rib, a.x(), b.x(), span);
    if (t < -1e-6 || t > span + 1e-6 || (line.spar && !line.spar->reaches(t))) return std::nullopt;
    if (line.kind == Line::Kind::trailingEdge && tailMoves(t - 1e-3, t + 1e-3) && !endsTail(t)) return std::nullopt;
    if (line.hinge)
      if (const Opened& cutOut = open.at(line.hinge); t < cutOut.first - 1e-6 || t > cutOut.last + 1e-6)
        return std::nullopt;
    Crossing c;
    c.t = t;
    const Point p = at(line, t);
    c.middle = {p.x(), t, p.y()};
    if (line.kind == Line::Kind::spar) {
      const double share = line.spar->share(t);
      const Spar& s = spar(*line.spar);
      const bool caps = s.kind == SparKind::caps;
      const Cap top = capAt(s.top, share), bottom = capAt(s.bottom, share);
      const double high = line.spar->upperSeat.at(t).y() - (caps && top.fitted ? top.depth / 2 : 0),
                   low = line.spar->lowerSeat.at(t).y() + (caps && bottom.fitted ? bottom.depth / 2 : 0);
      c.top = {p.x(), t, high - (s.rescued ? 0 : missingOf(s, true))};
      c.bottom = {p.x(), t, low + (s.rescued ? 0 : missingOf(s, false))};
      return c;
    }
    const Cut cut = loft.cutAt(t);
    c.top = {p.x(), t, surfaceHeightAt(cut, Face::upper, p.x())};
    c.bottom = {p.x(), t, surfaceHeightAt(cut, Face::lower, p.x())};
    if (line.kind != Line::Kind::nose) c.middle.z() = (c.top.z() + c.bottom.z()) / 2;
    return c;
  }

  /// Two ribs share a node where they are lapped.
  int lapped(const Rib& rib, const Lap& lap) {
    const Point3 place = rib.inPanel({lap.x, lap.middle});
    constexpr double same = 0.05; // mm
    const auto near = lapsAt.lower_bound({place.y() - same, -1});
    for (auto it = near; it != lapsAt.end() && it->first < place.y() + same; ++it)
      if ((of(it->second).middle - place).head<2>().norm() < same) return it->second;
    const Cut cut = loft.cutAt(place.y());
    Crossing c;
    c.t = place.y();
    c.middle = place;
    c.top = {place.x(), place.y(), surfaceHeightAt(cut, Face::upper, place.x())};
    c.bottom = {place.x(), place.y(), surfaceHeightAt(cut, Face::lower, place.x())};
    c.node = frame.node(place);
    crossings.push_back(c);
    const int added = static_cast<int>(crossings.size()) - 1;
    lapsAt.emplace(place.y(), added);
    return added;
  }

  /// One stretch of a line, from rib to rib.
  void addBay(const Line& line, const Crossing& a, const Crossing& b) {
    if (b.t - a.t < 1e-6) return;
    switch (line.kind) {
    case Line::Kind::nose:
      return;
    case Line::Kind::hinge: {
      const Surface& surface = design.surfaces[static_cast<std::size_t>(line.hinge->surface)];
      if (surface.wingFacing <= 0) return;
      const Material& strip = of(surface.facingMaterial);
      const double tall = ((a.top - a.bottom).z() + (b.top - b.bottom).z()) / 2;
      frame.member(a.node, a.middle, b.node, b.middle,
                   rectangularMember(strip.modulus, strip.shear, surface.wingFacing, std::max(tall, 0.5)),
                   Point3::UnitZ());
      return;
    }
    case Line::Kind::leadingEdge:
    case Line::Kind::trailingEdge: {
      const bool front = line.kind == Line::Kind::leadingEdge;
      if (!front && tailMoves(a.t, b.t)) return;
      const double wide = !front ? design.trailing.width : design.leading.width > 0 ? design.leading.width : 2;
      // A wedge's own constants are those of a strip of two thirds of its front's depth, about.
      const double deep = ((a.top - a.bottom).z() + (b.top - b.bottom).z()) / 2;
      const double high = front                                                  ? std::min(wide, std::max(deep, 1.0))
                          : design.trailingEdge.kind == TrailingEdgeKind::square ? design.trailingEdge.height
                                                                                 : std::max(deep, 0.5);
      const Material& wood = of(front ? design.leadingEdge.material : design.trailingEdge.material);
      frame.member(a.node, a.middle, b.node, b.middle, rectangularMember(wood.modulus, wood.shear, wide, high),
                   Point3::UnitZ());
      return;
    }
    case Line::Kind::spar:
      break;
    }
    const Spar& s = spar(*line.spar);
    const double share = line.spar->share((a.t + b.t) / 2);
    if (s.kind == SparKind::fullDepth) {
      const Material& m = of(s.sheetMaterial);
      const double deep = ((a.top - a.bottom).z() + (b.top - b.bottom).z()) / 2;
      frame.member(a.node, a.middle, b.node, b.middle,
                   rectangularMember(m.modulus, m.shear, s.sheet, std::max(deep, s.sheet)), Point3::UnitZ());
      return;
    }
    for (const bool up : {true, false}) {
      const Cap cap = capAt(up ? s.top : s.bottom, share);
      if (!cap.fitted) continue;
      const Material& m = of(cap.material);
      frame.member(a.node, up ? a.top : a.bottom, b.node, up ? b.top : b.bottom, capMember(m, cap), Point3::UnitZ());
    }
    const double width = webWidthAt(s, share);
    if (width <= 0) return;
    const Material& m = of(s.webMaterial);
    frame.shearWall({a.node, b.node, b.node, a.node}, {a.top, b.top, b.bottom, a.bottom}, m.shear * width);
  }

  static MemberStuff capMember(const Material& m, const Cap& cap) {
    if (cap.shape == CapShape::strip) return rectangularMember(m.modulus, m.shear, cap.width, cap.depth);
    const double inertia = pi / 64 * (std::pow(cap.depth, 4) - std::pow(boreOf(cap), 4));
    return {m.modulus, m.shear, capArea(cap), inertia, inertia, 2 * inertia};
  }

  /// The sheet covers what lies before its edge; a wall half under it counts as bare.
  bool underSheet(const Line& behind, const std::array<int, 4>& corners, Face face) const {
    if (behind.kind == Line::Kind::leadingEdge) return false;
    const double t = (of(corners[2]).t + of(corners[3]).t) / 2, x = at(behind, t).x();
    const ChordFrame f = loft.frameAt(t);
    return (x - f.le.x()) / f.chord <= sheetEdgeAt(design, loft, face, t) + 0.02;
  }

  /// The sheet over a bay that covers the wall between two lines, by the wall's middle.
  const SheetedBays* sheetOver(int bay, const Line& ahead, const Line& behind, const std::array<int, 4>& corners,
                               bool top) const {
    const SheetedBays* all = sheetedBetween(design.sheeted, bay, bay + 1, top);
    if (!all) return nullptr;
    const double t = (of(corners[2]).t + of(corners[3]).t) / 2;
    const ChordFrame f = loft.frameAt(t);
    const double middle = ((at(ahead, t).x() + at(behind, t).x()) / 2 - f.le.x()) / f.chord;
    const auto place = sheetedPlace(design, loft, *all, top ? Face::upper : Face::lower);
    return place && place->isBetween(middle, t) ? all : nullptr;
  }

  void wall(const std::array<int, 4>& i, bool top, double shear) {
    std::array<int, 4> nodes{};
    std::array<Point3, 4> places;
    for (std::size_t k = 0; k < 4; ++k) {
      nodes[k] = of(i[k]).node;
      places[k] = top ? of(i[k]).top : of(i[k]).bottom;
    }
    frame.shearWall(nodes, places, shear);
  }

  /// Strips along a rib, from where the sheet ends to its tail.
  void addCapStrips(const Rib& rib, const std::vector<int>& sequence) {
    const CapStrips& c = design.capStrips;
    const Material& m = of(c.material);
    for (const bool top : {true, false}) {
      const Face face = top ? Face::upper : Face::lower;
      const SheetedBays* over = sheetedAt(design, rib, face);
      if (!(top ? c.top : c.bottom)) continue;
      const double t = std::clamp(rib.t(), 0.0, loft.span()), edge = sheetEdgeAt(design, loft, face, t);
      const auto sheeted = over ? sheetedPlace(design, loft, *over, face) : std::nullopt;
      for (std::size_t i = 1; i < sequence.size(); ++i) {
        const Crossing &a = of(sequence[i - 1]), &b = of(sequence[i]);
        const Point3 from = top ? a.top : a.bottom, to = top ? b.top : b.bottom;
        const double middle = ((from.x() + to.x()) / 2 - rib.frame.le.x()) / rib.frame.chord;
        if (middle < edge || (sheeted && sheeted->isBetween(middle, t))) continue;
        frame.member(a.node, from, b.node, to, rectangularMember(m.modulus, m.shear, c.width, c.thickness),
                     Point3::UnitZ());
      }
    }
  }

  /// From the first spar to the next line behind it.
  void addDiagonals() {
    const Stiffening& s = design.stiffening;
    std::size_t front = 0;
    while (front < lines.size() && lines[front].kind != Line::Kind::spar) ++front;
    std::size_t behind = front + 1;
    while (behind < lines.size() && lines[behind].kind == Line::Kind::hinge) ++behind;
    if (behind >= lines.size()) return;
    const Material& m = of(s.material);
    for (const DiagonalBar& bar : diagonalBars(s, static_cast<int>(ribsOn.size()) - 1)) {
      const auto k = static_cast<std::size_t>(bar.bay);
      const int a = ribsOn[k - 1][bar.fromFront ? front : behind], b = ribsOn[k][bar.fromFront ? behind : front];
      if (a < 0 || b < 0) continue;
      const bool topA = bar.fromFront ? bar.topInFront : bar.topBehind,
                 topB = bar.fromFront ? bar.topBehind : bar.topInFront;
      frame.member(of(a).node, topA ? of(a).top : of(a).bottom, of(b).node, topB ? of(b).top : of(b).bottom,
                   {m.modulus, m.shear, s.width * s.depth, 0, 0, 0}, Point3::UnitZ());
    }
  }

  static std::pair<int, int> endsOf(const std::vector<int>& along) {
    int first = -1, last = -1;
    for (const int i : along)
      if (i >= 0) first = first < 0 ? i : first, last = i;
    return {first, last};
  }

  const PanelBrief& design;
  const PanelLoft& loft;
  SpaceFrame frame;
  std::vector<Line> lines;
  std::map<const HingeLine*, Opened> open;
  std::vector<Crossing> crossings;
  std::set<std::pair<double, int>> lapsAt; ///< place along the span, index in `crossings`
  std::vector<std::vector<int>> ribsOn;    ///< of each main rib: its crossing with each line, -1 for none
  FrameTwist result;
};

} // namespace

std::size_t crossingsIn(const Frame& frame) {
  std::size_t all = 0;
  for (const Rib& rib : frame.riblets) all += rib.laps.size();
  return all;
}

std::optional<FrameTwist> frameTwist(const PanelBrief& d, const PanelLoft& loft, const Frame& built, double couple,
                                     bool opened) {
  FrameModel frame(d, loft, built, opened);
  if (frame.swings() || built.ribs.size() < 2 || crossingsIn(built) > mostCrossings) return std::nullopt;
  for (const Rib& rib : built.ribs) frame.addRib(rib, true);
  for (const Rib& rib : built.riblets)
    if (rib.kind == RibKind::crossing) frame.addRib(rib, false);
  frame.addLines();
  frame.addWalls();
  return frame.twistUnder(couple);
}

} // namespace eup
