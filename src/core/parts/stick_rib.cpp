#include "core/parts/stick_rib.h"
#include "core/geometry/polyline.h"
#include <algorithm>
#include <cmath>

namespace eup {
namespace {

constexpr double hair = 1e-6; // mm

double heightOn(const Polyline& line, double x) {
  const double low = std::min(line.front().x(), line.back().x()), high = std::max(line.front().x(), line.back().x());
  const auto place = lastCrossing(line, std::clamp(x, low, high));
  return place ? pointAt(line, *place).y() : (x <= low ? line.front() : line.back()).y();
}

/// The body's two long edges, each from its front to its rear.
struct Edges {
  Polyline upper, lower;
  double front = 0, rear = 0;
};

std::optional<Edges> edgesOf(const Region& body) {
  const Polyline* most = largestOf(body);
  if (!most || most->size() < 4) return std::nullopt;
  const Polyline& loop = *most; // counter-clockwise: from the rear over the top to the front
  const Box box = boundsOf(loop);
  const auto corner = [&](double x, bool top) {
    std::size_t best = loop.size();
    for (std::size_t i = 0; i < loop.size(); ++i)
      if (std::abs(loop[i].x() - x) < 1e-3 &&
          (best == loop.size() || (top ? loop[i].y() > loop[best].y() : loop[i].y() < loop[best].y())))
        best = i;
    return best;
  };
  const auto run = [&](std::size_t from, std::size_t to) {
    Polyline out;
    for (std::size_t i = from;; i = (i + 1) % loop.size()) {
      out.push_back(loop[i]);
      if (i == to) break;
    }
    return out;
  };
  Edges out;
  out.front = box.low.x(), out.rear = box.high.x();
  out.upper = run(corner(out.rear, true), corner(out.front, true));
  std::reverse(out.upper.begin(), out.upper.end());
  out.lower = run(corner(out.front, false), corner(out.rear, false));
  if (out.upper.size() < 2 || out.lower.size() < 2) return std::nullopt;
  return out;
}

/// Every point moved square to the line by so much, to its left.
Polyline moved(const Polyline& line, double by) {
  Polyline out;
  out.reserve(line.size());
  for (std::size_t i = 0; i < line.size(); ++i) {
    const Point along = line[std::min(i + 1, line.size() - 1)] - line[i == 0 ? 0 : i - 1];
    out.push_back(line[i] + Point(-along.y(), along.x()).normalized() * by);
  }
  return out;
}

/// On in its own direction to a place before its front or behind its rear.
void reachTo(Polyline& line, double front, double rear) {
  const auto on = [](const Point& end, const Point& before, double x) -> Point {
    const double run = end.x() - before.x();
    return {x, end.y() + (std::abs(run) > hair ? (end.y() - before.y()) / run * (x - end.x()) : 0)};
  };
  if (line.front().x() > front + hair) line.insert(line.begin(), on(line.front(), line[1], front));
  if (line.back().x() < rear - hair) line.push_back(on(line.back(), line[line.size() - 2], rear));
}

/// The sharpest bend of a strip's outer face, over lengths of it that are long against its thickness.
void findBend(const Polyline& edge, double depth, bool upper, Stick& strip) {
  const auto bend = sharpestBend(edge, std::max(3 * depth, lengthOf(edge) / 40));
  if (!bend) return;
  // Where the section is hollow, the strip's inner face is the outer one of the bend.
  strip.radius = bend->radius + (bend->left == upper ? depth : 0), strip.radiusAt = bend->at.x();
}

/// A straight bar between the strips: its four corners lie on their inner faces.
class Bars {
public:
  Bars(const Polyline& low, const Polyline& high, double depth) : lower(low), upper(high), deep(depth) {}

  std::optional<Stick> upright(double x) const {
    const double a = x - deep / 2, b = x + deep / 2;
    const Point la(a, heightOn(lower, a)), lb(b, heightOn(lower, b)), ha(a, heightOn(upper, a)),
        hb(b, heightOn(upper, b));
    if (std::min(ha.y() - la.y(), hb.y() - lb.y()) < deep / 2) return std::nullopt;
    return made(Stick::What::upright, la, lb, hb, ha);
  }
  /// From its low end at the front to its high end at the rear, or the other way, in the corners of a bay.
  std::optional<Stick> diagonal(double front, double rear, bool rises) const {
    const double flip = rises ? 1 : -1;
    const auto foot = [&](double x) { return flip * heightOn(rises ? lower : upper, x); };
    const auto head = [&](double x) { return flip * heightOn(rises ? upper : lower, x); };
    const Point start(front, foot(front)), end(rear, head(rear));
    const Point v = end - start;
    constexpr double least = 3; // of its depth: a shorter one would be all ends
    if (rear - front < least * deep || head(rear) - foot(rear) < deep || head(front) - foot(front) < deep)
      return std::nullopt;
    const double turn = std::atan2(v.y(), v.x()) + std::asin(deep / v.norm()), slope = std::tan(turn);
    constexpr double steepest = 1.45; // rad: then it is an upright
    if (turn <= 0.05 || turn > steepest) return std::nullopt;
    const auto crossing = [&](const Point& through, const auto& face) {
      double from = front, to = rear;
      for (int i = 0; i < 50; ++i) {
        const double x = (from + to) / 2;
        (through.y() + slope * (x - through.x()) < face(x) ? from : to) = x;
      }
      return Point((from + to) / 2, through.y() + slope * ((from + to) / 2 - through.x()));
    };
    Point footRear = crossing(end, foot), headFront = crossing(start, head), first = start, last = end;
    for (Point* p : {&footRear, &headFront, &first, &last}) p->y() *= flip;
    if (rises) return made(Stick::What::diagonal, first, footRear, last, headFront);
    return made(Stick::What::diagonal, headFront, last, footRear, first);
  }

private:
  /// Corners: low end's nose side and its other side, high end's other side and its nose side.
  std::optional<Stick> made(Stick::What what, const Point& la, const Point& lb, const Point& hb,
                            const Point& ha) const {
    Stick out;
    out.what = what;
    out.outline = {la, lb, hb, ha};
    if (signedArea(out.outline) <= 0) return std::nullopt;
    const Point way = (ha - la).normalized(), across(way.y(), -way.x()); // to its rear side
    const auto on = [&](const Point& p) { return p.dot(way); };
    out.length = std::max(on(ha), on(hb)) - std::min(on(la), on(lb));
    out.lowEnd = std::atan2(on(lb) - on(la), (lb - la).dot(across));
    out.highEnd = std::atan2(on(ha) - on(hb), (hb - ha).dot(across));
    out.turn = std::atan2(way.x(), way.y());
    return out;
  }
  const Polyline &lower, &upper;
  double deep;
};

/// Stretches of the chord in which something passes.
std::vector<std::pair<double, double>> takenBy(const Region& cuts) {
  std::vector<std::pair<double, double>> all, merged;
  all.reserve(cuts.size());
  for (const Polyline& cut : cuts) all.emplace_back(boundsOf(cut).low.x() - hair, boundsOf(cut).high.x() + hair);
  std::sort(all.begin(), all.end());
  for (const auto& one : all)
    if (!merged.empty() && one.first <= merged.back().second)
      merged.back().second = std::max(merged.back().second, one.second);
    else
      merged.push_back(one);
  return merged;
}

/// Over each other by more than a bar's end that is straight on a curve.
bool meets(const Polyline& outline, const Region& other, double touch = 1e-3) {
  return areaOf(intersect({outline}, other)) > touch;
}

/// A loop between two chains that run the same way, counter-clockwise.
Polyline enclosed(const Polyline& one, const Polyline& other) {
  Polyline loop = one;
  loop.insert(loop.end(), other.rbegin(), other.rend());
  if (signedArea(loop) < 0) std::reverse(loop.begin(), loop.end());
  return loop;
}

/// A stick rib in the making.
class StickLayout {
public:
  StickLayout(const Sticks& decided, const Edges& of, const Region& whole, const Region& passing, Rib& to)
      : s(decided), edges(of), body(whole), cuts(passing), rib(to), upperIn(moved(of.upper, -decided.depth)),
        lowerIn(moved(of.lower, decided.depth)) {
    for (Polyline* line : {&upperIn, &lowerIn}) reachTo(*line, edges.front, edges.rear);
    for (Point& p : upperIn) p.y() = std::max(p.y(), half(p.x()));
    for (Point& p : lowerIn) p.y() = std::min(p.y(), half(p.x()));
    const double nose = edges.front + s.noseBlock, tail = edges.rear - s.tailBlock;
    clearFrom = std::min(nose, tail), clearTo = std::max(nose, tail);
  }

  void layStrips() {
    for (const bool upper : {true, false}) {
      const Polyline& outer = upper ? edges.upper : edges.lower;
      Stick out;
      out.what = upper ? Stick::What::upper : Stick::What::lower;
      out.length = lengthOf(outer);
      if (const Region in = intersect({enclosed(outer, upper ? upperIn : lowerIn)}, body);
          const auto* most = largestOf(in))
        out.outline = *most;
      findBend(outer, s.depth, upper, out);
      rib.sticks.push_back(std::move(out));
    }
    strips = {rib.sticks[0].outline, rib.sticks[1].outline};
  }

  void layBlocks() {
    const double high = rib.frame.chord;
    for (const bool nose : {true, false}) {
      const double from = nose ? edges.front : clearTo, to = nose ? clearFrom : edges.rear;
      if (to <= from) continue;
      const Region in = subtract(
          intersect(intersect({enclosed(lowerIn, upperIn)}, body), {rectangle({from, -high}, {to, high})}), cuts);
      const Polyline* most = largestOf(in);
      if (!most || signedArea(*most) < splinter()) continue;
      Stick out;
      out.what = nose ? Stick::What::noseBlock : Stick::What::tailBlock;
      out.outline = *most;
      out.length = boundsOf(*most).width();
      rib.sticks.push_back(std::move(out));
    }
  }

  /// Uprights beside what passes, and evenly between; diagonals in the bays that they leave.
  void standBars() {
    std::vector<std::pair<double, double>> solid{{-1e9, clearFrom}, {clearTo, 1e9}};
    const auto taken = takenBy(cuts);
    solid.insert(solid.end(), taken.begin(), taken.end());
    std::sort(solid.begin(), solid.end());
    double from = solid.front().second;
    for (std::size_t i = 1; i < solid.size(); ++i) {
      if (solid[i].first - from > 2 * s.depth) fillBay(from, solid[i].first);
      from = std::max(from, solid[i].second);
    }
  }

  /// As glued up: a straight end and the curve that it butts against are one.
  void glueUp() {
    constexpr double glue = 0.02, dust = 1e-3; // mm, mm²
    Region wood;
    wood.reserve(rib.sticks.size());
    for (const Stick& stick : rib.sticks)
      for (Polyline& thicker : grown({stick.outline}, glue)) wood.push_back(std::move(thicker));
    rib.wood = withoutDust(subtract(intersect(unite(wood, {}), body), cuts), dust);
  }

  /// A square over either end of every upright, cut to the rib.
  void addGussets() {
    if (s.gussets == GussetsOn::none) return;
    const Region free = subtract(body, cuts);
    Polyline middle;
    middle.reserve(edges.upper.size());
    for (const Point& p : edges.upper) middle.emplace_back(p.x(), half(p.x()));
    for (const bool top : {true, false}) {
      const Polyline& edge = top ? edges.upper : edges.lower;
      const Region side = intersect(free, {enclosed(edge, middle)});
      for (const double x : joints) {
        const double at = heightOn(edge, x);
        const Region on =
            intersect({rectangle({x - s.gusset / 2, at - s.gusset}, {x + s.gusset / 2, at + s.gusset})}, side);
        if (const Polyline* most = largestOf(on); most && signedArea(*most) > splinter()) rib.gussets.push_back(*most);
      }
    }
  }

private:
  double half(double x) const { return (heightOn(edges.upper, x) + heightOn(edges.lower, x)) / 2; }
  double splinter() const { return s.depth * s.depth / 4; }

  bool put(std::optional<Stick> stick, int& count) {
    // A hollow strip bulges into a long bay.
    if (!stick || meets(stick->outline, cuts) || meets(stick->outline, strips, 0.04 * s.depth)) return false;
    stick->number = ++count;
    rib.sticks.push_back(std::move(*stick));
    return true;
  }

  void fillBay(double from, double to) {
    const Bars bars(lowerIn, upperIn, s.depth);
    const int bays = std::max(1, static_cast<int>(std::ceil((to - from) / s.bay - 1e-9)));
    std::vector<std::pair<double, double>> posts{{from, from}}; // whatever bounds a bay
    const auto stand = [&](double x) {
      if (put(bars.upright(x), uprights)) joints.push_back(x), posts.emplace_back(x - s.depth / 2, x + s.depth / 2);
    };
    if (from > clearFrom + hair) stand(from + s.depth / 2); // behind what passes, not behind the nose block
    for (int k = 1; k < bays; ++k) stand(from + (to - from) * k / bays);
    if (to < clearTo - hair) stand(to - s.depth / 2);
    posts.emplace_back(to, to);
    for (std::size_t k = 1; k < posts.size() && s.lacing == Lacing::zigzag; ++k)
      if (put(bars.diagonal(posts[k - 1].second, posts[k].first, rises), diagonals)) rises = !rises;
  }

  const Sticks& s;
  const Edges& edges;
  const Region &body, &cuts;
  Rib& rib;
  Polyline upperIn, lowerIn;         ///< the strips' inner faces, each at most to the line half way between the edges
  double clearFrom = 0, clearTo = 0; ///< between the blocks
  Region strips;
  int uprights = 0, diagonals = 0;
  bool rises = true;
  std::vector<double> joints; ///< where uprights stand
};

} // namespace

bool isOfSticks(const PanelBrief& d, const Rib& rib) {
  if (d.ribs.make != RibMake::sticks) return false;
  return rib.kind == RibKind::main || (d.sticks.ends && (rib.kind == RibKind::root || rib.kind == RibKind::tip));
}

std::vector<std::vector<int>> alikeRibs(const std::vector<Rib>& ribs) {
  constexpr double seen = 0.1; // mm
  const auto alike = [](const Rib& a, const Rib& b) {
    if (a.thickness != b.thickness || a.sticks.size() != b.sticks.size() || a.bare.size() != b.bare.size())
      return false;
    for (std::size_t i = 0; i < a.bare.size(); ++i)
      if ((a.bare[i] - b.bare[i]).norm() > seen) return false;
    for (std::size_t i = 0; i < a.sticks.size(); ++i)
      if (std::abs(a.sticks[i].length - b.sticks[i].length) > seen) return false;
    return true;
  };
  std::vector<std::vector<int>> out;
  std::vector<const Rib*> first;
  for (const Rib& rib : ribs) {
    if (rib.sticks.empty()) continue;
    const auto found = std::find_if(first.begin(), first.end(), [&](const Rib* one) { return alike(*one, rib); });
    if (found != first.end()) {
      out[static_cast<std::size_t>(found - first.begin())].push_back(rib.number);
      continue;
    }
    first.push_back(&rib);
    out.push_back({rib.number});
  }
  return out;
}

double areaOfSticks(const Rib& rib) {
  double all = 0;
  for (const Stick& stick : rib.sticks) all += std::abs(signedArea(stick.outline));
  return all;
}

void layOutSticks(const PanelBrief& d, const Region& body, const Region& cuts, Rib& rib) {
  const auto edges = edgesOf(body);
  if (!edges) return;
  StickLayout layout(d.sticks, *edges, body, cuts, rib);
  layout.layStrips();
  layout.layBlocks();
  layout.standBars();
  layout.glueUp();
  layout.addGussets();
}

} // namespace eup
