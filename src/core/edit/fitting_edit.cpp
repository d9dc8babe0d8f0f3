#include "core/edit/fitting_edit.h"
#include <algorithm>
#include <cmath>
#include <fmt/format.h>

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

namespace {

/// Puts the outer panel's things behind those of `one`: one that continues another is one with it; else it is one more,
/// whose number is made its own where another has it.
template <class List, class Continue>
std::optional<Problem> put(List& one, const List& outer, int most, const char* what, Continue continues) {
  for (auto thing : outer) {
    const auto same = std::find_if(one.begin(), one.end(),
                                   [&](const auto& other) { return thing.number > 0 && other.number == thing.number; });
    if (same != one.end() && continues(*same, thing)) continue;
    if (same != one.end()) thing.number = 0;
    if (static_cast<int>(one.size()) >= most)
      return Problem{
          "", fmt::format("together they have more {} than one panel can have ({}): take some out first", what, most)};
    one.push_back(std::move(thing));
  }
  return std::nullopt;
}

constexpr double meets = 0.5; // mm

} // namespace

std::optional<Problem> mergeFittings(const PanelDesign& outer, double inside, PanelDesign& one) {
  PanelDesign out = outer;
  for (Surface& s : out.surfaces) s.from += inside, s.to += inside, s.drive.at += inside;
  for (Run& r : out.runs) r.from += inside, r.to += inside;
  for (HardPoint& h : out.hardPoints) h.at += inside;
  for (CoreThing& t : out.inCore) t.from += inside, t.to += inside;
  const auto goesOn = [&](const auto& in, const auto& beyond) {
    return in.kind == beyond.kind && std::abs(in.to - inside) < meets && std::abs(beyond.from - inside) < meets;
  };
  if (auto why = put(one.surfaces, out.surfaces, mostSurfaces, "surfaces", [&](Surface& in, const Surface& beyond) {
        if (!beyond.goesOn || !goesOn(in, beyond)) return false;
        in.to = beyond.to, in.chordTo = beyond.chordTo, in.tailTo = beyond.tailTo;
        if (beyond.drive.by != MovedBy::nothing) in.drive = beyond.drive;
        return true;
      }))
    return why;
  for (Surface& s : one.surfaces)
    if (std::abs(s.from - inside) < meets) s.goesOn = false; // there is no join any more
  if (auto why = put(one.runs, out.runs, mostRuns, "leads and tubes", [&](Run& in, const Run& beyond) {
        if (!goesOn(in, beyond)) return false;
        in.to = beyond.to, in.xTo = beyond.xTo;
        return true;
      }))
    return why;
  if (auto why = put(one.hardPoints, out.hardPoints, mostHardPoints, "hard points",
                     [](const HardPoint&, const HardPoint&) { return false; }))
    return why;
  if (auto why = put(one.inCore, out.inCore, mostInCore, "things in the core", [&](CoreThing& in, const CoreThing& on) {
        if (!goesOn(in, on)) return false;
        in.to = on.to, in.xTo = on.xTo, in.upTo = on.upTo;
        return true;
      }))
    return why;
  return put(one.holds, out.holds, mostHolds, "points to look at",
             [](const HoldPoint& in, const HoldPoint& beyond) { return in.what == beyond.what; });
}

} // namespace eup
