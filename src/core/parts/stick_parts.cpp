// Parts of a rib of sticks: strips, bars, blocks, gussets.
#include "core/geometry/polyline.h"
#include "core/parts/part_maker.h"
#include "core/parts/stick_rib.h"
#include <cmath>
#include <fmt/format.h>

namespace eup {
namespace {

/// A piece in the rib's middle plane, of all its layers.
Part ofRib(const PartMaker& m, const Rib& rib, const PieceId& id, const std::string& name, const Point& middle) {
  Part part = PartMaker::piece(id, rib.name() + ", " + name, woodOf(m.d.ribs, rib));
  part.rib = rib.number, part.at = rib.t();
  part.count = rib.layers, part.shared = rib.shared;
  const auto [in, away] = rib.body();
  part.centre =
      rib.inPanel(middle) +
      (in + away) / 2 * Point3(-std::sin(rib.turn), std::cos(rib.turn) * std::cos(rib.lean), -std::sin(rib.lean));
  return part;
}

} // namespace

/// In the order of Stick::What; bars are numbered.
struct StickName {
  PieceKind kind;
  const char *key, *words;
  bool numbered;
};
static constexpr StickName stickNames[] = {
    {PieceKind::stickUpper, "upper", "upper strip", false}, {PieceKind::stickLower, "lower", "lower strip", false},
    {PieceKind::stickUpright, "upright", "upright", true},  {PieceKind::stickDiagonal, "diagonal", "diagonal", true},
    {PieceKind::stickNose, "nose", "nose block", false},    {PieceKind::stickTail, "tail", "tail block", false}};

std::string keyOf(const Stick& stick) {
  const StickName& name = stickNames[static_cast<std::size_t>(stick.what)];
  return name.numbered ? fmt::format("{}.{}", name.key, stick.number) : name.key;
}

PieceId idOf(const Rib& rib, const Stick& stick) {
  const StickName& name = stickNames[static_cast<std::size_t>(stick.what)];
  return {name.kind, rib.number, 0, name.numbered ? stick.number : 0};
}

std::string wordsOf(const Stick& stick) {
  const StickName& name = stickNames[static_cast<std::size_t>(stick.what)];
  return name.numbered ? fmt::format("{} {}", name.words, stick.number) : name.words;
}

void addStickParts(PartMaker& m, const Rib& rib) {
  const double thick = rib.thickness / rib.layers, handed = rib.shared ? 0.5 : 1;
  for (const Stick& stick : rib.sticks) {
    const double area = std::abs(signedArea(stick.outline));
    Part part = ofRib(m, rib, idOf(rib, stick), wordsOf(stick), centroidOf(stick.outline));
    const bool block = stick.what == Stick::What::noseBlock || stick.what == Stick::What::tailBlock;
    part.length = stick.length;
    part.breadth = block ? boundsOf(stick.outline).height() : thick;
    part.grain = block ? GrainWay::chord : GrainWay::length;
    part.stock = block ? Stock::sheet(thick)
                       : Stock::strip(std::max(thick, m.d.sticks.depth), std::min(thick, m.d.sticks.depth));
    if (block) part.area = area, part.drawn = DrawnOn::ribs;
    part.grams = area * rib.thickness * m.heavy(part.material) * handed;
    m.add(std::move(part));
  }
  if (rib.gussets.empty()) return;
  const Sticks& s = m.d.sticks;
  double area = 0;
  Point sum(0, 0);
  for (const Polyline& one : rib.gussets) area += signedArea(one), sum += signedArea(one) * centroidOf(one);
  Part part = ofRib(m, rib, {PieceKind::stickGussets, rib.number}, "gussets", sum / area);
  const int sides = s.gussets == GussetsOn::both ? 2 : 1;
  part.material = s.gussetMaterial;
  part.count = static_cast<int>(rib.gussets.size()) * sides;
  part.stock = Stock::sheet(s.gussetSheet);
  part.length = part.breadth = s.gusset;
  part.area = area / static_cast<double>(rib.gussets.size());
  part.grain = GrainWay::chord;
  part.grams = area * sides * s.gussetSheet * m.heavy(s.gussetMaterial) * handed;
  m.add(std::move(part));
}

} // namespace eup
