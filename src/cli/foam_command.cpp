#include "cli/foam_command.h"
#include "cli/skins_command.h"
#include "core/exchange/points_json.h"
#include "core/files/json.h"
#include "core/geometry/polyline.h"
#include <fmt/format.h>
#include <ostream>

namespace eup::cli {
namespace {

Json endOf(const CoreEnd& end) {
  Json out{{"station", end.station},
           {"t", end.t},
           {"chord", end.frame.chord},
           {"coreArea", end.outlineArea()},
           {"wireArea", end.wire.empty() ? 0 : std::abs(signedArea(end.wire))},
           {"wireLength", end.wireLength()},
           {"slot", end.kerf},
           {"speed", end.speed},
           {"core", pointsOf(end.outline)},
           {"wire", pointsOf(end.wire)},
           {"marks", Json::array()}};
  for (const WireMark& m : end.marks)
    out["marks"].push_back({{"number", m.number},
                            {"face", m.face == Face::upper ? "upper" : "lower"},
                            {"fraction", m.fraction},
                            {"section", {m.section.x(), m.section.y()}},
                            {"wire", {m.wire.x(), m.wire.y()}}});
  return out;
}

Json coreOf(const TruePanel& panel, const FoamCore& core, const char* hand) {
  const HotWire& wire = panel.design.wire;
  const CutOff left = coreLeft(core, wire);
  const double inner = -wire.fromTower, outer = wire.towersApart - wire.fromTower;
  Json out{{"wing", panel.design.id.wing + 1},
           {"panel", panel.design.id.panel + 1},
           {"hand", hand},
           {"core", core.number},
           {"material", panel.design.foam.material},
           {"volume", core.volume},
           {"block", {{"length", core.block.length}, {"width", core.block.width}, {"height", core.block.height}}},
           {"fromBoard", core.fromBoard},
           {"inner", endOf(core.inner)},
           {"outer", endOf(core.outer)},
           {"worstOff", left.worst},
           {"towers", {{"inner", inner}, {"outer", outer}, {"path", Json::array()}}}};
  for (const TowerStep& s : towerPath(core, inner, outer))
    out["towers"]["path"].push_back({s.inner.x(), s.inner.y(), s.outer.x(), s.outer.y()});
  return out;
}

Json thingOf(const TruePanel& panel, const CoreThingMade& made, const char* hand) {
  const CoreThing& thing = panel.design.inCore[static_cast<std::size_t>(made.number)];
  Json out{{"wing", panel.design.id.wing + 1},
           {"panel", panel.design.id.panel + 1},
           {"hand", hand},
           {"name", thing.name},
           {"kind", inCoreChoices[static_cast<std::size_t>(thing.kind)].key},
           {"from", {made.from.x(), made.from.y(), made.from.z()}},
           {"to", {made.to.x(), made.to.y(), made.to.z()}},
           {"length", made.length},
           {"foamTaken", made.volume},
           {"high", made.high},
           {"comesOut", made.breaksOut}};
  if (made.left < 1e8) out["foamLeft"] = made.left, out["foamLeftAt"] = made.leftAt;
  return out;
}

} // namespace

void tellFoam(const TrueWing& w, bool json, std::ostream& out) {
  if (!json) return tellStage(w, Stage::foam, out);
  Json root{{"wing", w.design.name},
            {"unit", {{"length", "mm"}, {"area", "mm2"}, {"volume", "mm3"}, {"speed", "mm/s"}}},
            {"axes",
             "ends: chord axes, nose at the origin, as a right hand is seen from its tip; towers: aft of the "
             "core's inner leading edge and up from its chord line; inCore: the panel's (aft, along the span, up)"},
            {"cores", Json::array()},
            {"inCore", Json::array()}};
  for (const Hand hand : {Hand::right, Hand::left}) {
    if (hand == Hand::left && !w.left) continue;
    for (const WholeWing& wing : w.of(hand).wings)
      for (const TruePanel& panel : wing.panels)
        if (panel.foam) {
          const char* whose = !w.left && wing.mirrored ? "right and left" : name(hand);
          for (const FoamCore& core : panel.foam->cores) root["cores"].push_back(coreOf(panel, core, whose));
          for (const CoreThingMade& made : panel.foam->things) root["inCore"].push_back(thingOf(panel, made, whose));
        }
  }
  out << root.dump(2) << '\n';
}

void tellWireCode(const ReadCode& read, bool json, std::ostream& out) {
  if (!json) {
    out << fmt::format("{} moves, hot for {:.0f} s, {:.0f} s of waiting\n", read.moves.size(), read.hotSeconds,
                       read.dwells);
    for (const auto& [name, box] : {std::pair("inner", &read.inner), std::pair("outer", &read.outer)})
      out << fmt::format("{} tower: aft {:.1f} to {:.1f}, up {:.1f} to {:.1f} mm\n", name, box->low.x(), box->high.x(),
                         box->low.y(), box->high.y());
    return;
  }
  Json root{{"hotSeconds", read.hotSeconds}, {"waits", read.dwells}, {"moves", Json::array()}};
  for (const ReadMove& m : read.moves)
    root["moves"].push_back({{"line", m.line},
                             {"inner", {m.to.inner.x(), m.to.inner.y()}},
                             {"outer", {m.to.outer.x(), m.to.outer.y()}},
                             {"seconds", m.seconds},
                             {"hot", m.hot()}});
  out << root.dump(2) << '\n';
}

} // namespace eup::cli
