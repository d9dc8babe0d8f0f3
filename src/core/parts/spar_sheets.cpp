#include "core/parts/spar_sheets.h"
#include "core/geometry/polyline.h"
#include <algorithm>
#include <cmath>

namespace eup {

std::vector<Rib> passedBySheet(const std::vector<Rib>& ribs, const std::vector<Rib>& riblets) {
  std::vector<Rib> passed = ribs;
  for (const Rib& rib : riblets)
    if (rib.kind == RibKind::crossing) passed.push_back(rib);
  std::sort(passed.begin(), passed.end(), [](const Rib& a, const Rib& b) { return a.t() < b.t(); });
  return passed;
}

Polyline fullDepthSparOutline(const Spar& spar, const SparLine& line, const std::vector<Rib>& ribs, double fit,
                              SlotCut cut) {
  const double along = line.stretch;
  const bool slotBelow = spar.ribSlot == SlotFrom::above; // the rib keeps the other half
  Polyline edge, other;
  const StraightLine& slotted = slotBelow ? line.lowerSeat : line.upperSeat;
  const StraightLine& plain = slotBelow ? line.upperSeat : line.lowerSeat;
  const auto put = [&](const StraightLine& l, double t) {
    const double in = &l == &line.upperSeat   ? -missingOf(spar, true)
                      : &l == &line.lowerSeat ? missingOf(spar, false)
                                              : 0;
    return Point(t * along, l.at(t).y() + in);
  };
  edge.push_back(put(slotted, 0));
  for (const Rib& rib : ribs) {
    if (!line.reaches(rib.t())) continue;
    const auto [in, out] = rib.body();
    const double square = std::cos(line.sweep) / std::cos(rib.turn + line.sweep); // the rib's width along the span
    const double slope = cut == SlotCut::filed ? 0 : spar.sheet * std::abs(std::tan(rib.turn + line.sweep));
    const double room = fit / 2 + slope / (2 * along);
    const double a = std::max(rib.t() + in * square - room, 0.0), b = std::min(rib.t() + out * square + room, line.end);
    edge.push_back(put(slotted, a));
    edge.push_back(put(line.middle, a));
    edge.push_back(put(line.middle, b));
    edge.push_back(put(slotted, b));
  }
  edge.push_back(put(slotted, line.end));
  other = {put(plain, line.end), put(plain, 0)};
  edge.insert(edge.end(), other.begin(), other.end());
  Polyline loop = simplified(edge, 0);
  if (signedArea(loop) < 0) std::reverse(loop.begin(), loop.end());
  return loop;
}

Polyline webOutline(const Spar& spar, const SparLine& line) {
  if (spar.webs != Webs::continuous || webWidthAt(spar, 0) <= 0) return {};
  const double last = std::min(reachOf(spar.top), reachOf(spar.bottom));
  /// A cap's inner edge, with the step where its doubler ends.
  const auto edge = [&](const Cap& cap, const StraightLine& seat, double inwards) {
    constexpr double hair = 1e-9;
    std::vector<double> shares{0, last};
    if (cap.doubled && cap.shape == CapShape::strip && cap.doubledTo + hair < last)
      shares = {0, cap.doubledTo, cap.doubledTo + hair, last};
    Polyline out;
    for (const double share : shares) {
      const double t = share * line.end;
      out.emplace_back(t * line.stretch, seat.at(t).y() + inwards * capAt(cap, share).depth);
    }
    return out;
  };
  Polyline out = edge(spar.bottom, line.lowerSeat, 1);
  const Polyline upper = edge(spar.top, line.upperSeat, -1);
  out.insert(out.end(), upper.rbegin(), upper.rend());
  return out;
}

Polyline sparFromAbove(const Spar& spar, const SparLine& line) {
  std::vector<double> shares{0, 1};
  constexpr double hair = 1e-9;
  for (const Cap& cap : {spar.top, spar.bottom})
    if (spar.kind == SparKind::caps && cap.fitted && cap.drops)
      shares.insert(shares.end(), {cap.dropsAt, cap.dropsAt + hair});
  std::sort(shares.begin(), shares.end());
  Polyline front, back;
  for (const double share : shares) {
    const double t = share * line.end, half = sparWidth(spar, share) / 2 * line.stretch, x = line.middle.at(t).x();
    if (half <= 0) break;
    front.emplace_back(x - half, t), back.emplace_back(x + half, t);
  }
  front.insert(front.end(), back.rbegin(), back.rend());
  return front;
}

} // namespace eup
