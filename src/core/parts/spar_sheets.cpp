#include "core/parts/spar_sheets.h"
#include "core/geometry/polyline.h"
#include <algorithm>
#include <cmath>

namespace eup {

std::vector<SheetSlot> sheetSlots(const PanelDesign& d, const SparLine& line, const std::vector<Rib>& ribs,
                                  const std::vector<Rib>& riblets) {
  const Spar& spar = d.spars[static_cast<std::size_t>(line.index)];
  std::vector<SheetSlot> out;
  if (spar.kind != SparKind::fullDepth) return out;
  for (const std::vector<Rib>* all : {&ribs, &riblets})
    for (const Rib& rib : *all) {
      if ((all == &riblets && rib.kind != RibKind::crossing) || !line.reaches(rib.t())) continue;
      const auto [in, away] = rib.body();
      const double angle = rib.turn + line.sweep, square = std::cos(line.sweep) / std::cos(angle), // along the span
          slope = d.ribs.slotCut == SlotCut::filed ? 0 : spar.sheet * std::abs(std::tan(angle)) / line.stretch,
                   room = (d.ribs.notchFit + slope) / 2;
      out.push_back({std::max(rib.t() + in * square - room, 0.0), std::min(rib.t() + away * square + room, line.end)});
    }
  std::sort(out.begin(), out.end(), [](const SheetSlot& a, const SheetSlot& b) { return a.from < b.from; });
  return out;
}

Polyline fullDepthSparOutline(const Spar& spar, const SparLine& line) {
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
  for (const SheetSlot& slot : line.slots) {
    edge.push_back(put(slotted, slot.from));
    edge.push_back(put(line.middle, slot.from));
    edge.push_back(put(line.middle, slot.to));
    edge.push_back(put(slotted, slot.to));
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
