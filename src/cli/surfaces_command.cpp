#include "cli/surfaces_command.h"
#include "cli/skins_command.h"
#include "core/exchange/points_json.h"
#include "core/files/json.h"
#include "core/geometry/region.h"
#include <ostream>

namespace eup::cli {
namespace {

Json regionOf(const Region& region) {
  Json out = Json::array();
  for (const Polyline& loop : region) out.push_back(pointsOf(loop));
  return out;
}

Json sectionOf(const HingeSection& cut) {
  return {{"hinge", {cut.hinge.x(), cut.hinge.y()}},
          {"planeUp", {cut.way.x(), cut.way.y()}},
          {"depth", cut.depth},
          {"bevelTopDeg", radToDeg(cut.bevelTop)},
          {"bevelBottomDeg", radToDeg(cut.bevelBottom)},
          {"backTop", cut.backTop},
          {"backBottom", cut.backBottom},
          {"noseRadius", cut.noseRadius}};
}

Json endOf(const SurfaceEnd& end) {
  Json out{{"t", end.t}, {"chord", end.frame.chord}, {"behind", end.chord}};
  out.update(sectionOf(end.cut));
  out["outline"] = pointsOf(end.cut.outline);
  return out;
}

Json drivenOf(const Driven& d) {
  Json out{{"at", d.at.t},
           {"rod", d.bars.rod()},
           {"gain", d.gain},
           {"upDeg", radToDeg(d.up)},
           {"downDeg", radToDeg(d.down)},
           {"torque", d.torque},
           {"playAtEdge", d.playAtEdge},
           {"servo",
            {{"needs", d.seat.needs}, {"there", d.seat.there}, {"bay", d.seat.bay}, {"bayNeeds", d.seat.bayNeeds}}}};
  if (d.forUp) out["servoForUpDeg"] = radToDeg(*d.forUp);
  if (d.forDown) out["servoForDownDeg"] = radToDeg(*d.forDown);
  return out;
}

Json surfaceOf(const TruePanel& panel, const SurfaceMade& made, const char* hand) {
  const Surface& s = panel.design.surfaces[static_cast<std::size_t>(made.line.surface)];
  const auto at = [&](double t) -> Json {
    const Point p = made.line.axis.at(t);
    return {p.x(), t, p.y()};
  };
  Json out{{"wing", panel.design.id.wing + 1},
           {"panel", panel.design.id.panel + 1},
           {"hand", hand},
           {"name", s.name},
           {"kind", surfaceKindChoices[static_cast<std::size_t>(s.kind)].key},
           {"axis", {{"from", at(made.inner.t)}, {"to", at(made.outer.t)}}},
           {"length", made.length},
           {"area", made.area},
           {"share", made.share},
           {"upDeg", radToDeg(made.line.up)},
           {"downDeg", radToDeg(made.line.down)},
           {"inner", endOf(made.inner)},
           {"outer", endOf(made.outer)},
           {"hinges", Json::array()},
           {"grams", made.grams},
           {"behind", made.behind},
           {"counterweight", made.weight},
           {"effect", made.effect},
           {"moment", made.fullMoment},
           {"momentPerDegree", made.perDegree},
           {"ribs", Json::array()}};
  for (const HingePlace& place : made.hinges) out["hinges"].push_back(place.along);
  for (const Rib& rib : panel.frame.ribs)
    for (const HingeCut& cut : rib.hinges)
      if (cut.surface == made.line.surface) {
        Json one{{"rib", rib.name()}, {"t", rib.t()}};
        one.update(sectionOf(cut.at));
        one["whole"] = regionOf(cut.whole), one["wing"] = regionOf(rib.wood), one["tail"] = regionOf(cut.tail);
        one["wingFacing"] = regionOf(cut.wingFacing), one["facing"] = regionOf(cut.facing);
        out["ribs"].push_back(std::move(one));
      }
  if (made.driven) out["drive"] = drivenOf(*made.driven);
  return out;
}

} // namespace

void tellSurfaces(const TrueWing& w, bool json, std::ostream& out) {
  if (!json) return tellStage(w, Stage::surfaces, out);
  Json root{{"wing", w.design.name},
            {"unit", {{"length", "mm"}, {"area", "mm2"}, {"mass", "g"}, {"moment", "N mm"}}},
            {"axes",
             "axis: the panel's (aft, along the span, up); sections and ribs: chord axes, nose at the origin, as a "
             "right hand is seen from its tip"},
            {"surfaces", Json::array()}};
  for (const Hand hand : {Hand::right, Hand::left}) {
    if (hand == Hand::left && !w.left) continue;
    for (const WholeWing& wing : w.of(hand).wings)
      for (const TruePanel& panel : wing.panels)
        for (const SurfaceMade& made : panel.surfaces)
          root["surfaces"].push_back(surfaceOf(panel, made, !w.left && wing.mirrored ? "right and left" : name(hand)));
  }
  out << root.dump(2) << '\n';
}

} // namespace eup::cli
