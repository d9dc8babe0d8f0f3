// What is carried over from a plan by itself: points for the other hand, outlines of sections.
#include "core/plan/judge.h"
#include <algorithm>
#include <fmt/format.h>

namespace eup {
namespace {

/// An edge's or spar's line on the outermost panel that it was read on.
const ReadLine* outermost(const DrawnHand& hand, ReadingKind kind, int number) {
  const ReadLine* found = nullptr;
  for (const ReadLine& l : hand.lines)
    if (l.kind == kind && l.number == number && (!found || l.panel > found->panel)) found = &l;
  return found;
}

} // namespace

std::vector<ReferencePoint> referencePoints(const DrawnHand& hand) {
  std::vector<ReferencePoint> out;
  if (hand.stations.size() < 2) return out;
  const double root = hand.stations.front().second, tip = hand.stations.back().second;
  const auto points = [&](ReadingKind kind, int number, const std::string& words) {
    const ReadLine* inner = hand.line(kind, number);
    if (!inner) return;
    out.push_back({words + " at the root", root, inner->at(root)});
    for (const ReadLine& l : hand.lines) // each panel's line as far as the joint at its outer end
      if (l.kind == kind && l.number == number && l.panel <= static_cast<int>(hand.joints.size())) {
        const double joint = hand.joints[static_cast<std::size_t>(l.panel - 1)];
        out.push_back({fmt::format("{} at joint {}", words, l.panel), joint, l.at(joint)});
      }
    out.push_back({words + " at the tip", tip, outermost(hand, kind, number)->at(tip)});
  };
  points(ReadingKind::leadingEdge, 1, "LE");
  points(ReadingKind::trailingEdge, 1, "TE");
  for (const ReadLine& l : hand.lines)
    if (l.kind == ReadingKind::spar && l.panel == 1) points(l.kind, l.number, fmt::format("spar {}", l.number));
  return out;
}

Polyline tipFromPlan(const Plan& plan, const JudgedPlan& judged) {
  Polyline out;
  if (judged.hands.empty()) return out;
  const DrawnHand& hand = judged.hands.front();
  for (const Reading& r : plan.readings) {
    if (r.kind != ReadingKind::tip || r.hand != hand.hand) continue;
    for (const Point& p : inMm(r, judged.sheets))
      out.emplace_back((p.y() - hand.y0) / hand.aft, (p.x() - hand.x0) / hand.outwards);
  }
  if (out.size() > 1 && out.front().x() > out.back().x()) std::reverse(out.begin(), out.end());
  return out;
}

std::optional<TracedSection> tracedFromPlan(const Plan& plan, const std::vector<LaidSheet>& sheets, int number) {
  TracedSection t;
  t.name = number == 2 ? "tip, traced" : "root, traced";
  for (const Reading& r : plan.readings) {
    if (r.number != number) continue;
    Polyline* surface = r.kind == ReadingKind::upperSurface   ? &t.upper
                        : r.kind == ReadingKind::lowerSurface ? &t.lower
                                                              : nullptr;
    if (!surface) continue;
    const Polyline p = inMm(r, sheets);
    surface->insert(surface->end(), p.begin(), p.end());
  }
  if (t.upper.empty() || t.lower.empty()) return {};
  return t;
}

} // namespace eup
