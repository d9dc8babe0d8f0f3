// The own pieces of surfaces on hinges: what is cut beside the panel's ribs, sheet and stock.
#include "core/design/lasting.h"
#include "core/geometry/polyline.h"
#include "core/parts/part_maker.h"
#include "core/surfaces/surface_made.h"
#include <algorithm>
#include <cmath>
#include <fmt/format.h>

namespace eup {
namespace {

/// What a surface's pieces are told with.
struct SurfaceTold {
  PartMaker& m;
  const SurfaceMade& made;
  const Surface& s;
  const Frame& frame;
  int number; ///< lasting
  std::string name;

  Part piece(PieceKind kind, const std::string& words, const std::string& material, int which = 0) const {
    Part part = PartMaker::piece({kind, number, 0, which}, name + ", " + words, material);
    part.drawn = DrawnOn::surfaces;
    return part;
  }
  /// In the panel's axes, a place of a section in its chord axes.
  Point3 place(const SurfaceEnd& end, const Point& chordAxes) const {
    const Point p = end.frame.fromChord(chordAxes);
    return {p.x(), end.t, p.y()};
  }
  /// Between both ends, its section there given; straight between.
  void addLong(Part part, const std::function<Region(const SurfaceEnd&)>& section) const {
    const Region in = section(made.inner), out = section(made.outer);
    const double a = areaOf(in), b = areaOf(out);
    if (a + b <= 0) return;
    part.from = place(made.inner, centroidOf(in)), part.to = place(made.outer, centroidOf(out));
    part.length = made.length;
    if (part.stock.form == Stock::Form::sheet) // of what is left of it when it is planed
      part.area = (a + b) / 2 * (made.outer.t - made.inner.t) / part.stock.thickness;
    m.addStraight(std::move(part), made.inner.t, made.outer.t, [&](double t) {
      const double share = (t - made.inner.t) / (made.outer.t - made.inner.t);
      const Point3 at = lerp(place(made.inner, centroidOf(in)), place(made.outer, centroidOf(out)), share);
      return Slice{a + (b - a) * share, {at.x(), at.z()}};
    });
  }
};

void addFacings(const SurfaceTold& t) {
  for (const bool own : {false, true}) {
    const FacingStrip& strip = own ? t.made.facing : t.made.wingFacing;
    if (strip.thickness <= 0) continue;
    Part part = t.piece(own ? PieceKind::facing : PieceKind::wingFacing, own ? "facing" : "facing on the wing",
                        t.s.facingMaterial);
    part.stock = Stock::sheet(strip.thickness);
    part.breadth = std::max(strip.depthFrom, strip.depthTo), part.grain = GrainWay::length;
    t.addLong(std::move(part), [&](const SurfaceEnd& end) -> Region {
      const Polyline& band = own ? end.cut.facing : end.cut.wingFacing;
      if (own) return intersect({end.cut.outline}, {band});
      const double deep = end.cut.depth, x = end.cut.hinge.x();
      return {rectangle({x - strip.thickness, end.cut.bottom.y()}, {x, end.cut.bottom.y() + deep})};
    });
  }
}

void addEndRibs(const SurfaceTold& t) {
  if (!t.s.ofRibs() || t.s.endRib <= 0 || t.m.d.built != Built::ribs) return;
  for (const bool outer : {false, true}) {
    const SurfaceEnd& end = outer ? t.made.outer : t.made.inner;
    Part part = t.piece(outer ? PieceKind::surfaceEndRibOuter : PieceKind::surfaceEndRibInner,
                        outer ? "outer end rib" : "inner end rib", t.m.d.ribs.material);
    const Box box = boundsOf(end.cut.outline);
    part.stock = Stock::sheet(t.s.endRib), part.grain = GrainWay::chord;
    part.area = std::abs(signedArea(end.cut.outline));
    part.length = box.width(), part.breadth = box.height();
    part.grams = part.area * t.s.endRib * t.m.heavy(part.material);
    part.at = end.t, part.centre = t.place(end, centroidOf(Region{end.cut.outline}));
    t.m.add(std::move(part));
  }
}

/// Sheet flat between neighbouring ribs behind the facing, on the upper face.
void addInfills(const SurfaceTold& t) {
  int number = 0;
  for (const Polyline& place : infillsOf(t.m.d, t.frame, t.made)) {
    const Box box = boundsOf(place);
    Part part = t.piece(PieceKind::infill, fmt::format("infill {}", number + 1), t.s.facingMaterial, number + 1);
    ++number;
    part.stock = Stock::sheet(infillSheet), part.grain = GrainWay::span;
    part.length = box.height(), part.breadth = t.s.infill, part.area = part.length * t.s.infill;
    part.grams = part.area * infillSheet * t.m.heavy(part.material);
    const Point middle = centroidOf(Region{place});
    part.at = middle.y();
    part.centre = part.from = part.to = {middle.x(), part.at, t.made.line.axis.at(part.at).y()};
    t.m.add(std::move(part));
  }
}

void addGussets(const SurfaceTold& t) {
  const auto places = gussetsOf(t.m.d, t.frame, t.made);
  if (places.empty()) return;
  Part part = t.piece(PieceKind::surfaceGussets, "gussets", t.s.facingMaterial);
  constexpr double sheet = 1.5; // mm, common practice
  part.count = static_cast<int>(places.size());
  part.stock = Stock::sheet(sheet), part.grain = GrainWay::slanting;
  part.length = part.breadth = t.s.gusset, part.area = t.s.gusset * t.s.gusset / 2;
  part.grams = part.count * part.area * sheet * t.m.heavy(part.material);
  Point middle(0, 0);
  for (const Polyline& place : places) middle += centroidOf(Region{place}) / static_cast<double>(places.size());
  part.at = middle.y();
  part.centre = part.from = part.to = {middle.x(), part.at, t.made.line.axis.at(part.at).y()};
  t.m.add(std::move(part));
}

/// As deep as the section where each stands, in either part.
void addBlocks(const SurfaceTold& t) {
  const Hinges& h = t.s.hinges;
  const auto deepAt = [&](double place) {
    const double share = (place - t.made.inner.t) / (t.made.outer.t - t.made.inner.t);
    return t.made.inner.cut.depth + (t.made.outer.cut.depth - t.made.inner.cut.depth) * std::clamp(share, 0.0, 1.0);
  };
  const auto block = [&](PieceKind kind, int which, const std::string& words, double at, double along, double chordwise,
                         double aft) {
    const double deep = deepAt(at);
    if (deep <= 0.2) return;
    Part part = t.piece(kind, words, h.material, which);
    part.stock = Stock::block(chordwise, deep), part.grain = GrainWay::span;
    part.length = along, part.breadth = chordwise;
    part.grams = along * chordwise * deep * t.m.heavy(h.material);
    part.at = at;
    const Point axis = t.made.line.axis.at(at);
    part.centre = part.from = part.to = {axis.x() + aft, at, axis.y()};
    t.m.add(std::move(part));
  };
  if (h.block > 0 && t.s.partsRibs())
    for (std::size_t i = 0; i < t.made.hinges.size(); ++i) {
      constexpr double behindSlot = 2; // mm of wood past what is let in
      const double deep = h.deep + behindSlot;
      block(PieceKind::hingeBlockWing, static_cast<int>(i) + 1, fmt::format("hinge {}, block in the wing", i + 1),
            t.made.hinges[i].t, h.block, deep, -t.s.wingFacing - deep / 2);
      if (t.s.ofRibs())
        block(PieceKind::hingeBlockSurface, static_cast<int>(i) + 1, fmt::format("hinge {}, block in it", i + 1),
              t.made.hinges[i].t, h.block, deep, t.s.facing + deep / 2);
    }
  if (t.made.driven && t.s.drive.hornBlock > 0 && t.s.ofRibs())
    block(PieceKind::hornBlock, 0, "block under the horn", t.made.driven->at.t, t.s.drive.hornBlock,
          t.s.drive.hornBlock, t.s.facing + t.s.drive.hornBlock / 2);
}

/// What the servo lies on: a plate from rib to rib with its opening, or a hatch, on two bearers.
void addSeat(const SurfaceTold& t) {
  const auto size = servoPlateOf(t.m.d, t.made);
  if (!size) return;
  const Driven& driven = *t.made.driven;
  Part plate = t.piece(PieceKind::servoPlate, "plate under its servo", "light-ply");
  plate.stock = Stock::sheet(t.s.drive.plate), plate.grain = GrainWay::span;
  plate.length = size->bay, plate.breadth = size->deep;
  plate.area = size->bay * size->deep - size->openAlong * size->openAcross;
  plate.grams = plate.area * t.s.drive.plate * t.m.heavy(plate.material);
  plate.at = driven.at.t;
  const double x = driven.at.frame.le.x() + (driven.seat.from + driven.seat.to) / 2;
  plate.centre = plate.from = plate.to = {x, plate.at, driven.at.frame.le.y() + driven.bars.servo.y()};
  Part bearers = t.piece(PieceKind::servoBearers, "bearers of its plate", "beech");
  constexpr double side = 6; // mm square, common practice
  bearers.count = 2, bearers.stock = Stock::strip(side, side), bearers.grain = GrainWay::length;
  bearers.length = size->bay, bearers.breadth = side;
  bearers.grams = 2 * side * side * size->bay * t.m.heavy(bearers.material);
  bearers.at = plate.at, bearers.centre = bearers.from = bearers.to = plate.centre;
  t.m.add(std::move(plate));
  t.m.add(std::move(bearers));
}

/// Bent of hard wire: what joins both halves, once for both; and a torque rod with a crank at either end.
void addWires(const SurfaceTold& t) {
  const Drive& drive = t.s.drive;
  const auto wire = [&](PieceKind kind, const std::string& words, double diameter, double length, const Point3& at) {
    Part part = t.piece(kind, words, joinWireMaterial);
    part.stock = Stock::rod(diameter, 0), part.grain = GrainWay::length, part.drawn = DrawnOn::cutList;
    part.length = length, part.breadth = diameter;
    part.grams = std::numbers::pi / 4 * diameter * diameter * length * t.m.heavy(part.material);
    part.at = at.y(), part.centre = part.from = part.to = at;
    return part;
  };
  const auto onAxis = [&](double out, double aft) {
    const Point axis = t.made.line.axis.at(out);
    return Point3(axis.x() + aft, out, axis.y());
  };
  if (t.made.wire) {
    const double legs = drive.joinLeg * drive.joinLeg / t.made.wire->length; // both legs, each its half aft
    Part part = wire(PieceKind::joinWire, "wire that joins both halves", drive.joinWire, t.made.wire->length,
                     onAxis(t.made.inner.t, legs));
    part.shared = true, part.grams /= 2;
    t.m.add(std::move(part));
  }
  if (t.made.driven && drive.by == MovedBy::torqueRod)
    t.m.add(wire(PieceKind::torqueRod, "torque rod with both its cranks", drive.wire,
                 drive.arm + drive.wireLong + drive.horn, onAxis(t.made.driven->at.t, 0)));
}

/// A piece that is of its own wood: solid, or a core with sheet round it; a spoiler's plate.
void addOwn(const SurfaceTold& t) {
  if (t.s.plateLike()) {
    Part part = t.piece(PieceKind::spoilerPlate, "plate", t.s.material);
    part.stock = Stock::sheet(t.s.plate), part.grain = GrainWay::span;
    part.length = t.made.length, part.breadth = t.s.plateChord, part.area = part.length * part.breadth;
    part.grams = part.area * t.s.plate * t.m.heavy(part.material);
    part.at = (t.made.inner.t + t.made.outer.t) / 2;
    const Point at = t.made.line.axis.at(part.at);
    part.centre = part.from = part.to = {at.x() + t.s.plateChord / 2, part.at, at.y()};
    t.m.add(std::move(part));
    return;
  }
  if (!t.s.partsRibs() || t.s.ofRibs()) return;
  const bool skinned = t.s.built == SurfaceBuilt::skinned;
  const auto core = [&](const SurfaceEnd& end) -> Region {
    return skinned ? grown({end.cut.outline}, -t.s.skin) : Region{end.cut.outline};
  };
  Part part = t.piece(PieceKind::surfaceCore, skinned ? "core" : "of one piece", t.s.material);
  const Box in = boundsOf(core(t.made.inner)), out = boundsOf(core(t.made.outer));
  part.stock = Stock::block(std::max(in.width(), out.width()), std::max(in.height(), out.height()));
  part.breadth = std::max(in.width(), out.width()), part.grain = GrainWay::span;
  t.addLong(std::move(part), core);
  if (!skinned) return;
  Part sheet = t.piece(PieceKind::surfaceSkin, "sheet bent round it", t.s.skinMaterial);
  sheet.stock = Stock::sheet(t.s.skin), sheet.grain = GrainWay::span;
  sheet.breadth = std::max(perimeterOf(t.made.inner.cut.outline), perimeterOf(t.made.outer.cut.outline));
  t.addLong(std::move(sheet), [&](const SurfaceEnd& end) { return subtract({end.cut.outline}, core(end)); });
}

} // namespace

std::vector<Part> partsOfSurfaces(const PanelBrief& d, const PanelLoft& loft, const Frame& frame,
                                  const std::vector<SurfaceMade>& surfaces) {
  PartMaker maker(d, loft, frame);
  for (const SurfaceMade& made : surfaces) {
    const Surface& s = d.surfaces[static_cast<std::size_t>(made.line.surface)];
    const SurfaceTold told{maker, made, s, frame, numberIn(d.surfaces, made.line.surface), s.name};
    addFacings(told);
    addEndRibs(told);
    addInfills(told);
    addGussets(told);
    addBlocks(told);
    addSeat(told);
    addWires(told);
    addOwn(told);
  }
  return std::move(maker.out);
}

} // namespace eup
