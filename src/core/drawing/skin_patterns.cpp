// Skins laid flat, at full size, with all that they are laid by.
#include "core/drawing/wing_drawings.h"
#include "core/geometry/polyline.h"
#include "core/measure/figure.h"
#include <algorithm>
#include <fmt/format.h>

namespace eup {
namespace {

/// On the print the leading edge is up. A pattern is as the upper skin is seen from outside, and the lower one from
/// inside; seen from the other side it is turned over.
Polyline onPrint(const Skin& skin, FaceUp up, const Polyline& line) {
  Polyline out;
  out.reserve(line.size());
  const double side = (skin.face == Face::upper) == (up == FaceUp::inner) ? -1 : 1;
  for (const Point& p : line) out.emplace_back(side * p.y(), -p.x());
  return out;
}

} // namespace

std::vector<Drawing> skinPatterns(const TruePanel& w, Hand hand) {
  std::vector<Drawing> out;
  out.reserve(w.skins.size());
  const auto len = [&](double mm) { return told(mm, Quantity::length, w.design.unit); };
  const auto deg = [&](double rad) { return told(std::abs(rad), Quantity::angle, w.design.unit); };
  const FaceUp up = w.design.cutList.faceUp;
  for (const Skin& skin : w.skins) {
    Drawing d;
    d.title = w.design.of > 1 ? fmt::format("Skins, panel {}", w.design.id.panel + 1) : "Skins";
    d.wing = w.design.name;
    d.hand = hand;
    for (const Polyline& loop : skin.shape) d.loop(Layer::cut, onPrint(skin, up, loop));
    std::vector<std::pair<Point, std::string>> words;
    words.reserve(skin.ribs.size() + skin.joints.size() + skin.sawn.size());
    for (const SkinLine& rib : skin.ribs) {
      const Polyline line = onPrint(skin, up, rib.line);
      d.strokes.push_back({Layer::mark, line, false});
      words.emplace_back(lerp(line.front(), line.back(), 0.5) + Point(1, 0), rib.name);
    }
    for (const SkinLine& spar : skin.spars) d.strokes.push_back({Layer::mark, onPrint(skin, up, spar.line), false});
    for (const SkinJoint& joint : skin.jointsOf(hand)) {
      const Polyline line = onPrint(skin, up, joint.line);
      d.strokes.push_back({Layer::mark, line, false});
      words.emplace_back(line.front() + Point(1, -3), fmt::format("joint on R{}", joint.rib));
    }
    const auto nameOf = [&](int surface) { return w.design.surfaces[static_cast<std::size_t>(surface)].name; };
    for (const SawnLine& sawn : skin.sawn) {
      const Polyline line = onPrint(skin, up, sawn.line);
      d.strokes.push_back({Layer::mark, line, false});
      words.emplace_back(line.front() + Point(1, 1), "sawn through here: " + nameOf(sawn.surface));
    }
    if (hand == Hand::left) d = mirrored(std::move(d));
    const double side = hand == Hand::left ? -1 : 1;
    for (const auto& [at, text] : words) d.write({side * at.x(), at.y()}, text, 2.4);
    const Box box = d.bounds();
    const FlatPattern& p = skin.pattern;
    d.write(
        {box.low.x(), box.low.y() - 5},
        fmt::format("{} {}, {} up: sheet {}, grain {}; widths {} and {}; ends {} and {} out of square", skin.name,
                    nameLarge(hand), faceUpChoices[static_cast<std::size_t>(up)].label, len(skin.of.thickness),
                    skin.of.grainDeg == 0 ? std::string("along it") : fmt::format("{}° off the span", skin.of.grainDeg),
                    len(p.innerWidth), len(p.outerWidth), deg(p.innerAngle), deg(p.outerAngle)),
        3);
    if (skin.strips > 1 || !skin.joints.empty())
      d.write({box.low.x(), box.low.y() - 10},
              fmt::format("{} sheets side by side; cut the end first, then the long edge", skin.strips), 3);
    std::string without;
    for (const int surface : skin.leftOut) without += (without.empty() ? "" : ", ") + nameOf(surface);
    if (!without.empty())
      d.write({box.low.x(), box.low.y() - 15}, fmt::format("open for: {}; it ends at the facing there", without), 3);
    out.push_back(std::move(d));
  }
  return out;
}

} // namespace eup
