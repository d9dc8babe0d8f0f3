#include "core/loft/fitting_edit.h"
#include <algorithm>
#include <cmath>

namespace eup {
namespace {

/// A surface that is cut with its panel goes on from one to the other; its hinge line stays straight on the plan.
void splitSurface(const Surface& s, const PanelLoft& loft, double t, std::vector<Surface>& inner,
                  std::vector<Surface>& outer) {
  const double span = loft.span(), from = std::clamp(s.from, 0.0, span), to = std::clamp(s.to, 0.0, span);
  Surface in = s, out = s;
  out.from = s.from - t, out.to = s.to - t, out.drive.at = s.drive.at - t;
  if (s.whole()) return outer.push_back(std::move(out));
  if (to <= t) return inner.push_back(std::move(in));
  if (from >= t) return outer.push_back(std::move(out));
  const ChordFrame a = loft.frameAt(from), b = loft.frameAt(to), f = loft.frameAt(t);
  const auto share = [&](const ChordFrame& at, double chord, double tail) {
    return s.by == HingeBy::chord ? chord : 1 - tail / at.chord;
  };
  const double x = lerp(Point(planX(a, share(a, s.chordFrom, s.tailFrom)), 0),
                        Point(planX(b, share(b, s.chordTo, s.tailTo)), 0), (t - from) / (to - from))
                       .x();
  const double fraction = std::clamp((x - f.le.x()) / (f.chord * std::cos(f.washout)), 0.02, 0.97);
  in.to = t, out.from = 0, out.goesOn = true;
  in.chordTo = out.chordFrom = fraction, in.tailTo = out.tailFrom = std::max(3.0, (1 - fraction) * f.chord);
  if (s.drive.at >= t) in.drive.by = MovedBy::nothing;
  if (s.drive.at < t) out.drive.by = MovedBy::nothing, out.drive.at = 0;
  inner.push_back(std::move(in)), outer.push_back(std::move(out));
}

/// Straight on the plan, as it was.
void splitRun(const Run& r, const PanelLoft& loft, double t, std::vector<Run>& inner, std::vector<Run>& outer) {
  Run in = r, out = r;
  out.from = std::max(r.from - t, 0.0), out.to = std::max(r.to - t, 0.0);
  if (r.to <= t) return inner.push_back(std::move(in));
  if (r.from >= t) return outer.push_back(std::move(out));
  const double to = std::clamp(r.to, 0.0, loft.span());
  const ChordFrame f = loft.frameAt(t);
  const double a = planX(loft.frameAt(r.from), r.xFrom), b = planX(loft.frameAt(to), r.xTo);
  const double x = to > r.from ? a + (b - a) * (t - r.from) / (to - r.from) : a;
  in.to = t, out.from = 0;
  in.xTo = out.xFrom = std::clamp((x - f.le.x()) / (f.chord * std::cos(f.washout)), 0.0, 1.0);
  inner.push_back(std::move(in)), outer.push_back(std::move(out));
}

} // namespace

void splitFittings(const PanelDesign& whole, const PanelLoft& loft, double t, PanelDesign& inner, PanelDesign& outer) {
  inner.surfaces.clear(), outer.surfaces.clear();
  for (const Surface& s : whole.surfaces) splitSurface(s, loft, t, inner.surfaces, outer.surfaces);
  inner.runs.clear(), outer.runs.clear();
  for (const Run& r : whole.runs) splitRun(r, loft, t, inner.runs, outer.runs);
  const auto isOuter = [&](const HardPoint& h) { return h.at >= t; };
  std::erase_if(inner.hardPoints, isOuter);
  std::erase_if(outer.hardPoints, [&](const HardPoint& h) { return !isOuter(h); });
  for (HardPoint& h : outer.hardPoints) h.at -= t;
}

void mergeFittings(const PanelDesign& outer, double inside, PanelDesign& one) {
  for (Surface s : outer.surfaces) {
    if (one.surfaces.size() >= static_cast<std::size_t>(mostSurfaces)) break;
    s.from += inside, s.to += inside, s.drive.at += inside, s.goesOn = false;
    if (s.to <= 20000 && s.drive.at <= 20000) one.surfaces.push_back(std::move(s));
  }
  for (Run r : outer.runs) {
    if (one.runs.size() >= static_cast<std::size_t>(mostRuns)) break;
    r.from += inside, r.to += inside;
    if (r.to <= 20000) one.runs.push_back(std::move(r));
  }
  for (HardPoint h : outer.hardPoints) {
    if (one.hardPoints.size() >= static_cast<std::size_t>(mostHardPoints)) break;
    h.at += inside;
    if (h.at <= 20000) one.hardPoints.push_back(std::move(h));
  }
}

} // namespace eup
