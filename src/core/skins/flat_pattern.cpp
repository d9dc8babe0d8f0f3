#include "core/skins/flat_pattern.h"
#include "core/geometry/polyline.h"
#include <algorithm>
#include <cmath>
#include <Eigen/Geometry>

namespace eup {
namespace {

/// The point that far from `a` and from `b`, to the right of the way from a to b.
Point beside(const Point& a, const Point& b, double fromA, double fromB) {
  const Point way = b - a;
  const double d = way.norm();
  if (d < 1e-9) return a + Point(fromA, 0);
  const double along = (fromA * fromA - fromB * fromB + d * d) / (2 * d),
               off = std::sqrt(std::max(fromA * fromA - along * along, 0.0));
  const Point u = way / d, right(u.y(), -u.x());
  return a + u * along + right * off;
}

double between(double a, double b, double share) {
  return a + (b - a) * share;
}

} // namespace

FlatSurface::FlatSurface(const PanelLoft& of, Face on, double from, double to) : loft(of), face(on) {
  const double span = loft.span();
  const auto place = [&](double f, double t) -> Point3 {
    const Point p = loft.at(face, f, t);
    return {p.x(), t, p.y()};
  };
  using namespace section_grid;
  // At both ends: a nose may have points of its own ahead of (0,0) at one of them only.
  const auto isLast = [&](const Point3& r, const Point3& t) {
    return !rulings.empty() && (r - rulings.back().root).norm() < 1e-9 && (t - rulings.back().tip).norm() < 1e-9;
  };
  if (from == 0) { // the nose's own points are numbered, not at chord fractions: a hair below 0 each
    const Cut root = loft.cutAt(0), tip = loft.cutAt(span);
    for (int i = 0; i < noseSteps; ++i) {
      const Point a = root.face(face)[static_cast<std::size_t>(i)], b = tip.face(face)[static_cast<std::size_t>(i)];
      const Point3 r(a.x(), 0, a.y()), t(b.x(), span, b.y());
      if (isLast(r, t)) continue; // a nose without such points
      rulings.push_back({(i - noseSteps) * 1e-9, r, t, {}, {}});
    }
  }
  std::vector<double> all{from, to};
  for (int i = noseSteps; i < points; ++i)
    if (fraction(i) > from + 1e-9 && fraction(i) < to - 1e-9) all.push_back(fraction(i));
  std::sort(all.begin(), all.end());
  for (const double f : all) {
    const Point3 r = place(f, 0), t = place(f, span);
    if (isLast(r, t)) rulings.pop_back();
    rulings.push_back({f, r, t, {}, {}});
  }
  rulings.front().flatRoot = {0, 0};
  rulings.front().flatTip = {0, (rulings.front().tip - rulings.front().root).norm()};
  for (std::size_t i = 1; i < rulings.size(); ++i) {
    const Ruling& a = rulings[i - 1];
    Ruling& b = rulings[i];
    const double rootStep = (b.root - a.root).norm(), tipStep = (b.tip - a.tip).norm(), own = (b.tip - b.root).norm();
    b.flatRoot = beside(a.flatRoot, a.flatTip, rootStep, (b.root - a.tip).norm());
    b.flatTip = beside(b.flatRoot, a.flatTip, own, tipStep);
  }
}

FlatSurface::Between FlatSurface::around(double fraction) const {
  auto above = std::upper_bound(rulings.begin(), rulings.end(), fraction,
                                [](double f, const Ruling& r) { return f < r.fraction; });
  above = std::clamp(above, rulings.begin() + 1, rulings.end() - 1);
  const Ruling &a = *(above - 1), &b = *above;
  return {a, b, (fraction - a.fraction) / (b.fraction - a.fraction)};
}

Point FlatSurface::at(double fraction, double t) const {
  const auto [a, b, f] = around(fraction);
  const double share = t / loft.span();
  return lerp(lerp(a.flatRoot, a.flatTip, share), lerp(b.flatRoot, b.flatTip, share), f);
}

double FlatSurface::meets(double fraction, const EndPlane& plane) const {
  if (plane.lean == 0 && plane.turn == 0) return plane.t;
  const double span = loft.span();
  const auto [a, b, f] = around(fraction);
  const Point3 root = a.root + (b.root - a.root) * f, tip = a.tip + (b.tip - a.tip) * f;
  // t = t0 + tan(lean) z, or t = t0 + tan(turn) (x − x0), with x and z straight along t.
  if (plane.turn != 0) {
    const double k = std::tan(plane.turn), x0 = loft.frameAt(plane.t).le.x();
    return (plane.t + k * (root.x() - x0)) / (1 - k * (tip.x() - root.x()) / span);
  }
  const double k = std::tan(plane.lean);
  return (plane.t + k * root.z()) / (1 - k * (tip.z() - root.z()) / span);
}

std::vector<double> FlatSurface::fractions(double from, double to) const {
  if (from <= 0) from = std::max(first(), -1.0); // round the nose
  std::vector<double> out{from};
  for (const Ruling& r : rulings)
    if (r.fraction > from && r.fraction < to - 1e-9) out.push_back(r.fraction);
  out.push_back(to);
  return out;
}

double FlatSurface::turn(double from, double to) const {
  double most = 0;
  for (std::size_t i = 1; i + 1 < rulings.size(); ++i) {
    if (rulings[i].fraction < from || rulings[i].fraction > to || rulings[i].fraction < 1e-3) continue;
    const Ruling &a = rulings[i - 1], &b = rulings[i + 1];
    const Point3 way = rulings[i].tip - rulings[i].root;
    const Point3 atRoot = (b.root - a.root).cross(way).normalized(), atTip = (b.tip - a.tip).cross(way).normalized();
    most = std::max(most, std::acos(std::clamp(atRoot.dot(atTip), -1.0, 1.0)));
  }
  return most;
}

double FlatSurface::misfit(double from, double to) const {
  double surface = 0, flat = 0;
  for (std::size_t i = 1; i < rulings.size(); ++i) {
    if (rulings[i].fraction < from || rulings[i - 1].fraction > to) continue;
    const Ruling &a = rulings[i - 1], &b = rulings[i];
    surface += ((b.root + b.tip) / 2 - (a.root + a.tip) / 2).norm();
    flat += ((b.flatRoot + b.flatTip) / 2 - (a.flatRoot + a.flatTip) / 2).norm();
  }
  return std::abs(surface - flat);
}

Polyline acrossPattern(const FlatSurface& s, const SurfaceLine& from, const SurfaceLine& to, const EndPlane& plane) {
  const auto inside = [&](double t) { return std::clamp(t, 0.0, s.loft.span()); };
  const auto settle = [&](const SurfaceLine& line) { // the line's fraction where it meets the plane
    double f = line.at(inside(plane.t));
    for (int i = 0; i < 6; ++i) f = line.at(inside(s.meets(f, plane)));
    return f;
  };
  const double begins = settle(from);
  Polyline out;
  const std::vector<double> all = s.fractions(begins, std::max(begins, settle(to)));
  out.reserve(all.size());
  for (const double f : all) out.push_back(s.at(f, s.meets(f, plane)));
  return out;
}

FlatPattern flatPattern(const FlatSurface& s, const SurfaceLine& from, const SurfaceLine& to, const EndPlane& inner,
                        const EndPlane& outer) {
  FlatPattern out;
  out.inner = acrossPattern(s, from, to, inner);
  out.outer = acrossPattern(s, from, to, outer);
  const double span = s.loft.span();
  double front = 1, rear = 0;
  const auto edge = [&](const SurfaceLine& line) {
    constexpr int steps = 24;
    Polyline along;
    along.reserve(steps + 1);
    for (int i = 0; i <= steps; ++i) {
      const double share = static_cast<double>(i) / steps;
      double t = between(inner.t, outer.t, share), f = 0;
      for (int k = 0; k < 4; ++k) {
        f = std::max(line.at(std::clamp(t, 0.0, span)), from.at(std::clamp(t, 0.0, span)));
        if (f <= 0) f = s.first();
        t = between(s.meets(f, inner), s.meets(f, outer), share);
      }
      front = std::min(front, f), rear = std::max(rear, f);
      along.push_back(s.at(f, t));
    }
    return along;
  };
  out.front = edge(from), out.rear = edge(to);
  out.outline = out.inner;
  out.outline.insert(out.outline.end(), out.rear.begin() + 1, out.rear.end());
  out.outline.insert(out.outline.end(), out.outer.rbegin() + 1, out.outer.rend());
  out.outline.insert(out.outline.end(), out.front.rbegin() + 1, out.front.rend() - 1);
  out.area = std::abs(signedArea(out.outline));
  if (signedArea(out.outline) < 0) std::reverse(out.outline.begin(), out.outline.end());
  out.innerWidth = lengthOf(out.inner), out.outerWidth = lengthOf(out.outer);
  const Point along = (out.front.back() - out.front.front()).normalized(), across(along.y(), -along.x());
  const auto angle = [&](const Polyline& end) {
    const Point way = end.back() - end.front();
    return std::atan2(way.dot(along), way.dot(across));
  };
  out.innerAngle = angle(out.inner), out.outerAngle = angle(out.outer);
  out.turn = s.turn(front, rear), out.misfit = s.misfit(front, rear);
  return out;
}

} // namespace eup
