#include "core/loft/panel_loft.h"
#include "core/geometry/polyline.h"
#include <algorithm>
#include <cmath>

namespace eup {
namespace {

Point onLine(const Polyline& surface, double f) {
  const GridPlace place = gridPlace(f);
  return lerp(surface[place.index], surface[place.index + 1], place.share);
}

Polyline between(const Polyline& a, const Polyline& b, double share) {
  Polyline out(a.size());
  for (std::size_t i = 0; i < a.size(); ++i) out[i] = lerp(a[i], b[i], share);
  return out;
}

/// Each of the panel's straight lines followed to where it meets a plane: `meet` says where, from its two ends.
template <class End, class Meet> Cut cutThrough(const End& root, const End& tip, double t, const Meet& meet) {
  const auto face = [&](const Polyline& a, const Polyline& b) {
    Polyline out(a.size());
    for (std::size_t i = 0; i < a.size(); ++i) out[i] = meet(a[i], b[i]);
    return out;
  };
  Cut cut{{}, face(root.upper, tip.upper), face(root.lower, tip.lower)};
  cut.frame.t = t;
  cut.frame.le = meet(root.le, tip.le);
  cut.frame.te = meet(root.te, tip.te);
  const Point run = cut.frame.te - cut.frame.le;
  cut.frame.chord = run.norm();
  cut.frame.washout = std::atan2(run.y(), run.x());
  return cut;
}

} // namespace

PanelLoft::End PanelLoft::place(const Section& section, double chord, double setback, double washout, double axis) {
  // Nose down turns the tail up about the axis point: counter-clockwise in (x, z).
  const Point pivot(axis * chord, 0);
  const Placement turn{washout, {0, 0}};
  const auto put = [&](const Point& p) -> Point { return turn(p * chord - pivot) + pivot + Point(setback, 0); };
  End end;
  end.upper.reserve(section.upper.size());
  end.lower.reserve(section.lower.size());
  for (const Point& p : section.upper) end.upper.push_back(put(p));
  for (const Point& p : section.lower) end.lower.push_back(put(p));
  end.le = put({0, 0});
  end.te = put({1, 0});
  return end;
}

PanelLoft::PanelLoft(const Panel& panel, const Section& rootSection, const Section& tipSection)
    : root(place(rootSection, panel.rootChord, 0, degToRad(panel.rootWashoutDeg), panel.rootAxis)),
      tip(place(tipSection, panel.tipChord, panel.tipSetback, degToRad(panel.washoutDeg), panel.washoutAxis)),
      length(panel.span) {}

ChordFrame PanelLoft::frameAt(double t) const {
  const double share = t / length;
  ChordFrame f;
  f.t = t;
  f.le = lerp(root.le, tip.le, share);
  f.te = lerp(root.te, tip.te, share);
  const Point run = f.te - f.le;
  f.chord = run.norm();
  f.washout = std::atan2(run.y(), run.x());
  return f;
}

Cut PanelLoft::cutAt(double t) const {
  const double share = t / length;
  return {frameAt(t), between(root.upper, tip.upper, share), between(root.lower, tip.lower, share)};
}

Cut PanelLoft::cutLeaning(double t0, double lean) const {
  const double k = std::tan(lean), taller = 1 / std::cos(lean);
  const auto meet = [&](const Point& a, const Point& b) -> Point { // t = t0 + k z, and z runs straight from a to b
    const double t = (t0 + k * a.y()) / (1 - k * (b.y() - a.y()) / length);
    const Point p = lerp(a, b, t / length);
    return {p.x(), p.y() * taller};
  };
  return cutThrough(root, tip, t0, meet);
}

Cut PanelLoft::cutTurned(double t0, double turn) const {
  const double k = std::tan(turn), longer = 1 / std::cos(turn), x0 = lerp(root.le, tip.le, t0 / length).x();
  const auto meet = [&](const Point& a,
                        const Point& b) -> Point { // t = t0 + k (x − x0), and x runs straight from a to b
    const double t = (t0 + k * (a.x() - x0)) / (1 - k * (b.x() - a.x()) / length);
    const Point p = lerp(a, b, t / length);
    return {x0 + (p.x() - x0) * longer, p.y()};
  };
  return cutThrough(root, tip, t0, meet);
}

Point PanelLoft::at(Face face, double f, double t) const {
  const bool up = face == Face::upper;
  return lerp(onLine(up ? root.upper : root.lower, f), onLine(up ? tip.upper : tip.lower, f), t / length);
}

double PanelLoft::slope(Face face, double f, double t) const {
  constexpr double step = 0.01; // of the chord either way: the slope that a strip of wood lying there takes
  const auto between = [&](double from, double to) {
    const Point a = at(face, from, t), b = at(face, to, t);
    return (b.y() - a.y()) / (b.x() - a.x());
  };
  if (f > 1 - step) { // at the tail there is one side only: by two strides, for a curve that bends evenly
    constexpr double stride = 0.03;
    const double middle = between(1 - stride, 1), before = between(1 - 2 * stride, 1 - stride);
    return middle + (middle - before) * (f - (1 - stride / 2)) / stride;
  }
  return between(std::max(f - step, 0.0), f + step);
}

Point3 PanelLoft::leadingWay() const {
  return Point3(tip.le.x() - root.le.x(), length, tip.le.y() - root.le.y()).normalized();
}

double PanelLoft::lowest() const {
  // Straight lines have their lowest point at an end.
  double low = 1e300;
  for (const Polyline* s : {&root.lower, &tip.lower, &root.upper, &tip.upper})
    for (const Point& p : *s) low = std::min(low, p.y());
  return low;
}

double planX(const ChordFrame& frame, double fraction) {
  return frame.fromChord({fraction * frame.chord, 0}).x();
}

Polyline outlineOf(const Cut& cut) {
  Polyline loop(cut.upper.rbegin(), cut.upper.rend());
  loop.insert(loop.end(), cut.lower.begin() + 1, cut.lower.end());
  return simplified(loop, 0);
}

Planform planformOf(std::span<const Panel> panels) {
  double half = 0, squares = 0, along = 0, aft = 0, y0 = 0, x0 = 0; // integrals of c, c², c y, c x
  for (const Panel& p : panels) {
    const double l = p.span, a = p.rootChord, b = p.tipChord, area = l * (a + b) / 2;
    half += area;
    squares += l / 3 * (a * a + a * b + b * b);
    along += y0 * area + l * l / 6 * (a + 2 * b);
    aft += x0 * area + p.tipSetback * l / 6 * (a + 2 * b);
    y0 += l;
    x0 += p.tipSetback;
  }
  Planform out;
  out.halfSpan = y0;
  out.area = 2 * half;
  out.meanChord = squares / half;
  out.meanChordAt = along / half;
  out.meanChordLe = aft / half;
  out.aspect = 4 * y0 * y0 / out.area;
  return out;
}

Planform together(const Planform& right, const Planform& left) {
  Planform out;
  out.halfSpan = (right.halfSpan + left.halfSpan) / 2;
  out.area = (right.area + left.area) / 2;
  const double r = right.area / (right.area + left.area), l = 1 - r;
  out.meanChord = r * right.meanChord + l * left.meanChord;
  out.meanChordAt = r * right.meanChordAt + l * left.meanChordAt;
  out.meanChordLe = r * right.meanChordLe + l * left.meanChordLe;
  out.aspect = 4 * out.halfSpan * out.halfSpan / out.area;
  return out;
}

double effectiveDihedral(std::span<const Panel> panels, std::span<const double> gammas) {
  double weighed = 0, all = 0, y0 = 0;
  for (std::size_t i = 0; i < panels.size(); ++i) {
    const Panel& p = panels[i];
    const double l = p.span, a = p.rootChord, b = p.tipChord;
    const double arm = y0 * l * (a + b) / 2 + l * l / 6 * (a + 2 * b); // ∫ c y dy
    weighed += gammas[i] * arm;
    all += arm;
    y0 += l;
  }
  return weighed / all;
}

} // namespace eup
