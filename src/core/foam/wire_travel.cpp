#include "core/foam/wire_travel.h"
#include <algorithm>

namespace eup {
namespace {

TowerStep between(const TowerStep& a, const TowerStep& b, double share) {
  return {lerp(a.inner, b.inner, share), lerp(a.outer, b.outer, share)};
}

} // namespace

WireInstant instantAt(const WireTravel& travel, double seconds) {
  if (travel.empty()) return {};
  const auto next = std::upper_bound(travel.begin(), travel.end(), seconds,
                                     [](double s, const WireInstant& i) { return s < i.seconds; });
  if (next == travel.begin()) return travel.front();
  if (next == travel.end()) return travel.back();
  const WireInstant &a = *(next - 1), &b = *next;
  return {seconds, between(a.at, b.at, (seconds - a.seconds) / (b.seconds - a.seconds)), b.heat, b.line};
}

std::vector<BurntSlot> slotsUntil(const WireTravel& travel, double seconds, double share, const HotWire& wire) {
  std::vector<BurntSlot> out;
  const auto in = [&](const TowerStep& at) { return lerp(at.inner, at.outer, share); };
  for (std::size_t i = 1; i < travel.size() && travel[i - 1].seconds < seconds; ++i) {
    const WireInstant &a = travel[i - 1], end = travel[i].seconds <= seconds ? travel[i] : instantAt(travel, seconds);
    const double time = end.seconds - a.seconds;
    if (end.heat <= 0 || time <= 0 || wire.heat <= 0) continue;
    const Point from = in(a.at), to = in(end.at);
    const double way = (to - from).norm();
    if (way < 1e-9) continue;
    out.push_back({from, to, slotAt(wire, way / time) * end.heat / wire.heat});
  }
  return out;
}

double shareOfEnd(const FoamCore& core, const HotWire& wire, Hand hand, bool outer) {
  const double share = (wire.fromTower + (outer ? core.outer.t - core.inner.t : 0)) / wire.towersApart;
  return hand == Hand::left ? 1 - share : share;
}

} // namespace eup
