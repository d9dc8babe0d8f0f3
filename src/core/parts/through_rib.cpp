#include "core/parts/through_rib.h"
#include "core/geometry/polyline.h"
#include "core/geometry/region.h"
#include <algorithm>
#include <cmath>
#include <numbers>

namespace eup {
namespace {

using enum ThroughRib::What;

ThroughRib::What whatOf(Passing::What what) {
  switch (what) {
  case Passing::What::joiner:
    return joiner;
  case Passing::What::pin:
    return pin;
  case Passing::What::brace:
    return brace;
  case Passing::What::rod:
    break;
  }
  return rod;
}

Polyline ellipse(const Point& middle, double wide, double high) {
  constexpr int sides = 48;
  Polyline out;
  for (int i = 0; i < sides; ++i) {
    const double turn = 2 * std::numbers::pi * i / sides;
    out.push_back(middle + Point(std::cos(turn) * wide / 2, std::sin(turn) * high / 2));
  }
  return out;
}

/// Upright on the board, as it is in the panel's axes.
Polyline uprightBox(const Rib& rib, const Point& middle, double wide, double high) {
  const Placement turn{-rib.frame.washout, {0, 0}};
  Polyline out = rectangle(Point(-wide, -high) / 2, Point(wide, high) / 2);
  for (Point& p : out) p = middle + turn(p);
  return out;
}

bool ofSpar(const ThroughRib& one) {
  return one.what == cap || one.what == web || one.what == sheet;
}
bool isStock(const ThroughRib& one) {
  return one.what == leadingStock || one.what == trailingStock;
}

} // namespace

std::vector<ThroughRib> throughRib(const PanelBrief& d, const std::vector<SparLine>& spars, const Rib& rib) {
  std::vector<ThroughRib> out;
  for (const Notch& n : rib.notches) out.push_back({cap, n.spar, n.face == Face::upper, n.shape});
  for (const Slot& s : rib.slots) out.push_back({sheet, s.spar, false, s.shape});
  for (const SparLine& line : spars) {
    const Spar& spar = d.spars[static_cast<std::size_t>(line.index)];
    const Notch *top = nullptr, *bottom = nullptr;
    for (const Notch& n : rib.notches)
      if (n.spar == line.index) (n.face == Face::upper ? top : bottom) = &n;
    const double width = webWidthAt(spar, line.share(rib.t()));
    if (!top || !bottom || width <= 0) continue;
    const WebStand stand = webStandAt(spar, line, std::clamp(rib.t(), 0.0, line.end));
    const double stretch = 1 / std::cos(rib.turn + line.sweep);
    const Point middle =
        (top->bottom + bottom->bottom) / 2 + Placement{-rib.frame.washout, {0, 0}}(Point(stand.aft * stretch, 0));
    out.push_back({web, line.index, false, uprightBox(rib, middle, width * stretch, stand.high - stand.low)});
  }
  for (const PassHole& h : rib.passHoles) {
    const bool round = h.what != Passing::What::brace;
    const double fit = round ? 0 : d.ribs.notchFit;
    out.push_back(
        {whatOf(h.what), -1, false,
         round ? ellipse(h.middle, h.width, h.height) : uprightBox(rib, h.middle, h.width - fit, h.height - fit)});
  }
  const double far = rib.frame.chord;
  if (const double nose = noseCut(d, rib.turn); nose > 0)
    out.push_back({leadingStock, -1, false, rectangle({-far, -far}, {nose, far})});
  if (const double tail = d.trailing.onRib(rib.turn); tail > 0 && d.trailingEdge.kind != TrailingEdgeKind::twoSheets)
    out.push_back({trailingStock, -1, false, rectangle({far - tail, -far}, {2 * far, far})});
  return out;
}

std::vector<Clash> clashesOf(const std::vector<ThroughRib>& all) {
  constexpr double least = 0.05; // mm² and mm: less is the sampling of a circle, or faces that touch
  std::vector<Box> boxes;
  boxes.reserve(all.size());
  for (const ThroughRib& one : all) boxes.push_back(boundsOf(one.shape));
  std::vector<Clash> out;
  for (std::size_t a = 0; a < all.size(); ++a)
    for (std::size_t b = a + 1; b < all.size(); ++b) {
      if (ofSpar(all[a]) && ofSpar(all[b]) && all[a].spar == all[b].spar) continue;
      if ((ofSpar(all[a]) && isStock(all[b])) || (isStock(all[a]) && isStock(all[b]))) continue;
      if ((boxes[a].low.array() >= boxes[b].high.array()).any() ||
          (boxes[b].low.array() >= boxes[a].high.array()).any())
        continue;
      const Region both = intersect({all[a].shape}, {all[b].shape});
      if (areaOf(both) < least) continue;
      const Box box = boundsOf(both);
      if (const double by = std::min(box.width(), box.height()); by > least) out.push_back({a, b, by});
    }
  return out;
}

} // namespace eup
