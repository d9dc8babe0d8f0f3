#include "core/joins/join_parts.h"
#include "core/design/lasting.h"
#include "core/design/subject.h"
#include "core/geometry/polyline.h"
#include "core/geometry/region.h"
#include <cmath>
#include <fmt/format.h>
#include <numbers>

namespace eup {
namespace {

/// A place of a brace's outline, in the outer panel's axes: along its spar, and up from the middle of it.
Point3 inPanel(const Brace& brace, const SparLine& line, bool foldedUp, const Point& onOutline) {
  const double half = (foldedUp ? brace.bend : -brace.bend) / 2, side = onOutline.x() < 0 ? -1 : 1;
  const double along = onOutline.x() * std::cos(half) + side * onOutline.y() * std::sin(half),
               up = onOutline.y() * std::cos(half) - side * onOutline.x() * std::sin(half);
  const double t = along / line.stretch;
  const Point middle = line.middle.at(t);
  return {middle.x(), t, middle.y() + up};
}

Part bracePart(const PanelBrief& d, const PanelJoin& join, const Brace& b, const SparLine& line) {
  const Bracing& decided = d.join.braces[static_cast<std::size_t>(b.number)];
  Part part;
  part.id = {PieceKind::brace, numberIn(d.join.braces, b.number)};
  part.name = braceName(b.number);
  part.material = decided.material;
  part.count = decided.plates(), part.shared = join.centre;
  part.stock = Stock::sheet(decided.thickness);
  const Box box = boundsOf(b.outline);
  part.length = box.width(), part.breadth = box.height();
  part.area = std::abs(signedArea(b.outline));
  part.grain = GrainWay::length;
  part.drawn = DrawnOn::braces;
  part.grams = part.area * decided.thickness * decided.plates() * d.tables.named(part.material).density * 1e-6;
  // Of what lies in this hand, or in either panel.
  const double far = 2 * (b.outer.length + b.inner.length) + 1;
  Point3 moment(0, 0, 0);
  double area = 0;
  for (const bool outer : {true, false}) {
    if (!outer && join.centre) continue;
    const Region half = intersect({b.outline}, {rectangle({outer ? 0 : -far, -far}, {outer ? far : 0, far})});
    const double one = areaOf(half);
    moment += one * inPanel(b, line, join.fold >= 0, centroidOf(half));
    area += one;
  }
  if (area > 0) part.centre = moment / area;
  const auto end = [&](double t) -> Point3 {
    const Point at = line.middle.at(t);
    return {at.x(), t, at.y()};
  };
  part.from = end(join.centre ? 0 : -b.inner.length / line.stretch), part.to = end(b.outer.length / line.stretch);
  if (join.centre) part.grams /= 2;
  return part;
}

} // namespace

std::vector<Part> partsOfJoin(const PanelBrief& d, const PanelJoin& join, const std::optional<JoinerRod>& joiner,
                              const std::vector<SparLine>& spars) {
  std::vector<Part> out;
  for (const Brace& b : join.braces)
    if (Part part = bracePart(d, join, b, spars[static_cast<std::size_t>(b.spar)]); part.grams > 0)
      out.push_back(std::move(part));
  if (!joiner) return out;
  const Joiner& j = d.join.joiner;
  const double share = join.centre ? 0.5 : 1, way = std::cos(joiner->slope);
  Part rod;
  rod.id = {PieceKind::joiner};
  rod.name = "joiner";
  rod.material = j.material;
  rod.shared = join.centre;
  rod.stock = Stock::rod(j.diameter, j.bore);
  rod.length = joiner->reach + joiner->reachInside, rod.breadth = j.diameter;
  rod.grams = std::numbers::pi / 4 * (j.diameter * j.diameter - j.bore * j.bore) * rod.length * share *
              d.tables.named(j.material).density * 1e-6;
  const double t = (join.centre ? joiner->reach / 2 : (joiner->reach - joiner->reachInside) / 2) * way;
  const auto place = [&](double at) -> Point3 {
    const Point middle = joiner->middle.at(at);
    return {middle.x(), at, middle.y()};
  };
  rod.centre = place(t);
  rod.from = place(join.centre ? 0 : -joiner->reachInside * way), rod.to = place(joiner->reach * way);
  if (rod.grams > 0) out.push_back(rod);
  if (j.facing > 0) {
    // On either face of the ribs where a socket begins and ends; as large as is glued on as a rule (common practice).
    constexpr double sleeves = 3;
    Part ply;
    ply.id = {PieceKind::joinerFacing};
    ply.name = "ply round the joiner";
    ply.material = "birch-ply";
    ply.count = join.centre ? 4 : 8;
    ply.stock = Stock::sheet(j.facing / 2);
    ply.length = ply.breadth = sleeves * j.sleeve;
    ply.area = ply.length * ply.breadth - std::numbers::pi / 4 * j.sleeve * j.sleeve;
    ply.grain = GrainWay::upright;
    ply.grams = ply.area * j.facing / 2 * ply.count * d.tables.named(ply.material).density * 1e-6;
    ply.centre = rod.centre;
    out.push_back(std::move(ply));
  }
  return out;
}

} // namespace eup
