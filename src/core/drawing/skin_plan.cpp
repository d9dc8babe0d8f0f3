// The skin plan: what each skin is cut from, how, and what is looked at before it closes the panel in.
#include "core/drawing/table.h"
#include "core/drawing/wing_drawings.h"
#include "core/geometry/polyline.h"
#include "core/measure/figure.h"
#include <fmt/format.h>

namespace eup {

std::vector<Drawing> skinPlan(const TruePanel& w, Hand hand) {
  std::vector<Drawing> out;
  if (w.skins.empty() && w.holds.empty()) return out;
  const auto len = [&](double mm) { return told(mm, Quantity::length, w.design.unit); };
  const auto deg = [&](double rad) { return told(std::abs(rad), Quantity::angle, w.design.unit); };
  const auto put = [&](Drawing block) {
    block.title = "Skin plan", block.wing = w.design.name, block.hand = hand;
    out.push_back(std::move(block));
  };
  Drawing head;
  head.write({0, 0},
             fmt::format("{}  {} HAND{}", w.design.name, nameLarge(hand),
                         w.design.of > 1 ? fmt::format(", panel {}", w.design.id.panel + 1) : std::string()),
             5);
  put(std::move(head));
  std::vector<std::vector<std::string>> rows{
      {"Skin", "cut from", "grain", "widths", "inner end", "outer end", "made of"}};
  for (const Skin& s : w.skins) {
    const FlatPattern& p = s.pattern;
    const auto end = [&](double angle) {
      return fmt::format("{}, rear {}", deg(angle), angle >= 0 ? "outwards" : "inwards");
    };
    std::string made = s.strips > 1 ? fmt::format("{} side by side", s.strips) : std::string("one sheet");
    for (const SkinJoint& j : s.jointsOf(hand))
      made += fmt::format(", {} on R{}",
                          s.of.joint == SheetJoint::butt    ? "joint"
                          : s.of.joint == SheetJoint::scarf ? "scarf of " + len(s.of.jointLength())
                                                            : "lap of " + len(s.of.jointLength()),
                          j.rib);
    if (const std::vector<double> pieces = s.pieces(hand); pieces.size() > 1) {
      made += ": ";
      for (std::size_t i = 0; i < pieces.size(); ++i) made += (i > 0 ? " + " : "") + len(pieces[i]);
    }
    if (s.of.layers > 1)
      made += fmt::format(", {} layers, each {} narrower inside", s.of.layers, len(s.innerLayerNarrower()));
    rows.push_back({s.name, fmt::format("{} {}", len(s.layer()), w.design.tables.named(s.of.material).label),
                    s.of.grainDeg == 0 ? std::string("along") : fmt::format("{}° off", s.of.grainDeg),
                    fmt::format("{}, {}", len(p.innerWidth), len(p.outerWidth)), end(p.innerAngle), end(p.outerAngle),
                    made});
  }
  if (rows.size() > 1)
    put(tableOf("Cut each end first, then the long edge. Underside first, with the panel held in its jig; then:",
                {0, 36, 72, 84, 112, 140, 168}, rows));
  if (!w.holds.empty()) {
    Drawing d;
    d.write({0, 0}, "Look at, and tick, before the last skin closes it in", 3.5);
    double y = -7;
    for (const Hold& h : w.holds) {
      d.loop(Layer::text, rectangle({0, y}, {3.2, y + 3.2}));
      if (h.looked)
        d.line(Layer::text, {0.4, y + 0.4}, {2.8, y + 2.8}), d.line(Layer::text, {0.4, y + 2.8}, {2.8, y + 0.4});
      d.write({5, y + 0.4}, h.what, 2.8);
      y -= 5.4;
    }
    put(std::move(d));
  }
  return out;
}

} // namespace eup
