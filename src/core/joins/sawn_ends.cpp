#include "core/joins/sawn_ends.h"
#include "core/design/lasting.h"
#include "core/parts/surface_place.h"
#include <Eigen/Geometry>
#include <fmt/format.h>

namespace eup {

std::vector<SawnStrip> sawnEnds(const PanelBrief& d, const PanelLoft& loft, const std::vector<SparLine>& spars,
                                bool root, double lean) {
  std::vector<SawnStrip> out;
  const double span = loft.span(), here = root ? 0 : span;
  const Point3 plane = joinPlane(lean, root);
  const ChordFrame inner = loft.frameAt(0), outer = loft.frameAt(span);
  const auto strip = [&](const PieceId& piece, std::string key, std::string name, const Point& a, const Point& b) {
    const Point3 along(b.x() - a.x(), span, b.y() - a.y());
    out.push_back({piece, std::move(key), std::move(name), along, endCut(along, Point3::UnitZ(), plane), false});
  };
  if (d.leading.width > 0) strip({PieceKind::leadingEdge}, "le", "LE", inner.le, outer.le);
  if (d.trailing.width > 0) strip({PieceKind::trailingEdge}, "te", "TE", inner.te, outer.te);
  for (const SparLine& line : spars) {
    if (!line.reaches(here)) continue;
    const std::string key = fmt::format("spar.{}", line.index + 1);
    const Spar& spar = d.spars[static_cast<std::size_t>(line.index)];
    for (const bool top : {true, false})
      if (spar.kind == SparKind::caps && capAt(top ? spar.top : spar.bottom, line.share(here)).fitted) {
        const StraightLine& seat = top ? line.upperSeat : line.lowerSeat;
        strip({PieceKind::cap, numberIn(d.spars, line.index), 0, 0, top}, key + (top ? ".top" : ".bottom"),
              fmt::format("{} of {},", top ? "Top" : "Bottom", spar.name), seat.root, seat.tip);
      }
    if (spar.kind == SparKind::fullDepth)
      strip({PieceKind::sheetSpar, numberIn(d.spars, line.index)}, key + ".sheet", spar.name + ",", line.middle.root,
            line.middle.tip);
  }
  // A sheet lies on the surface: its end runs square to the LE but for this, and its edge leans by the bevel.
  for (const Zone& zone : zonesOf(d, loft)) {
    const SurfacePlace& place = zone.place;
    const bool nose = zone.what == Zone::What::nose, top = place.face == Face::upper;
    const double from = nose ? 0 : place.from.at(here), to = place.to.at(here);
    if (to <= from + 1e-6 || (root ? place.inner > 1e-6 : place.outer < span - 1e-6)) continue;
    const Point a = nose ? inner.le : loft.at(place.face, place.from.at(0), 0),
                b = nose ? outer.le : loft.at(place.face, place.from.at(span), span);
    const Point3 along(b.x() - a.x(), span, b.y() - a.y());
    const Point3 chordwise(1, 0, loft.slope(place.face, (from + to) / 2, here));
    Point3 square = chordwise.cross(along);
    if (square.z() < 0) square = -square;
    const char* side = top ? "Top" : "Bottom";
    const std::string key = nose                            ? fmt::format("sheet{}", side)
                            : zone.what == Zone::What::tail ? fmt::format("teSheet{}", side)
                                                            : fmt::format("bays{}{}", zone.run + 1, side),
                      name = nose                            ? fmt::format("{} sheet", side)
                             : zone.what == Zone::What::tail ? fmt::format("{} TE sheet", side)
                                                             : fmt::format("{} sheet over bays", side);
    out.push_back({{}, key, name, along, endCut(along, square, plane), true});
  }
  return out;
}

} // namespace eup
