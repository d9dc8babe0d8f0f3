#include "cli/skins_command.h"
#include "core/exchange/points_json.h"
#include "core/files/json.h"
#include "core/geometry/polyline.h"
#include "core/report/told.h"
#include "core/skins/cover_cut.h"
#include <fmt/format.h>
#include <ostream>

namespace eup::cli {
namespace {

Json skinOf(const TruePanel& panel, const Skin& skin, const char* hand) {
  const FlatPattern& p = skin.pattern;
  Json out{{"wing", panel.design.id.wing + 1},
           {"panel", panel.design.id.panel + 1},
           {"hand", hand},
           {"key", skin.key},
           {"name", skin.name},
           {"material", skin.of.material},
           {"thickness", skin.of.thickness},
           {"layers", skin.of.layers},
           {"grainOffSpan", skin.of.grainDeg},
           {"innerWidth", p.innerWidth},
           {"outerWidth", p.outerWidth},
           {"frontEdge", lengthOf(p.front)},
           {"area", skin.area()},
           {"innerAngle", radToDeg(p.innerAngle)},
           {"outerAngle", radToDeg(p.outerAngle)},
           {"turn", radToDeg(p.turn)},
           {"misfit", p.misfit},
           {"bendRadius", skin.bend > 0 ? Json(skin.bend) : Json()},
           {"sheetsSideBySide", skin.strips},
           {"outline", pointsOf(p.outline)},
           {"pieces", skin.pieces(Hand::right)},
           {"loops", Json::array()},
           {"surface", skin.surface ? Json(*skin.surface + 1) : Json()},
           {"leavesOut", Json::array()},
           {"sawn", Json::array()},
           {"joint", std::string(sheetJointChoices[static_cast<std::size_t>(skin.of.joint)].key)},
           {"overlap", skin.of.jointLength()},
           {"ribs", Json::array()},
           {"joints", Json::array()},
           {"leftJoints", Json::array()}};
  for (const Polyline& loop : skin.shape) out["loops"].push_back(pointsOf(loop));
  for (const int surface : skin.leftOut) out["leavesOut"].push_back(surface + 1);
  for (const SawnLine& sawn : skin.sawn)
    out["sawn"].push_back({{"surface", sawn.surface + 1}, {"line", pointsOf(sawn.line)}});
  for (const SkinLine& rib : skin.ribs) out["ribs"].push_back({{"name", rib.name}, {"line", pointsOf(rib.line)}});
  for (const SkinJoint& joint : skin.joints)
    out["joints"].push_back({{"rib", joint.rib}, {"line", pointsOf(joint.line)}});
  for (const SkinJoint& joint : skin.leftJoints) out["leftJoints"].push_back(joint.rib);
  return out;
}

Json sheetOf(const TruePanel& panel, const SheetPanelMade& made, const char* hand) {
  const char* way = made.way == SheetWay::flat ? "flat" : made.way == SheetWay::bent ? "bent" : "carved";
  Json out{{"wing", panel.design.id.wing + 1},
           {"panel", panel.design.id.panel + 1},
           {"hand", hand},
           {"way", way},
           {"material", panel.design.sheet.material},
           {"thickness", panel.design.sheet.thickness},
           {"needs", made.needs},
           {"boards", made.boards},
           {"length", made.length},
           {"width", made.width},
           {"area", made.area},
           {"bendRadius", made.bend > 0 ? Json(made.bend) : Json()},
           {"outline", pointsOf(made.outline)},
           {"strip", pointsOf(made.strip)},
           {"stations", Json::array()},
           {"carving", Json::array()}};
  for (const SkinLine& s : made.stations) out["stations"].push_back({{"name", s.name}, {"line", pointsOf(s.line)}});
  for (const CarveLine& c : made.carving) out["carving"].push_back({{"left", c.left}, {"line", pointsOf(c.line)}});
  return out;
}

} // namespace

void tellStage(const TrueWing& w, Stage stage, std::ostream& out) {
  for (const Figure& f : figuresOf(w, stage)) {
    const Wing& wing = w.design.wings[static_cast<std::size_t>(f.wing)];
    std::string place = w.design.wings.size() > 1 ? wing.name + ", " : "";
    if (f.panel && wing.panels.size() > 1) place += fmt::format("panel {}: ", *f.panel + 1);
    out << fmt::format("{}{:44} {:>12}  {}\n", place, f.label, told(f.value, f.quantity, w.design.unit), f.where);
  }
  for (const Finding& f : findingsOf(w))
    if (f.stage == stage) out << f.what << ". " << f.detail << ' ' << f.remedy << '\n';
}

void tellSkins(const TrueWing& w, bool json, std::ostream& out) {
  if (!json) return tellStage(w, Stage::skins, out);
  Json root{{"wing", w.design.name},
            {"unit", {{"length", "mm"}, {"area", "mm2"}, {"angle", "deg"}}},
            {"pattern", "x aft, y outwards along its front edge; a right upper skin seen from outside"},
            {"skins", Json::array()},
            {"sheetPanels", Json::array()},
            {"covering", Json::array()},
            {"lookAt", Json::array()}};
  for (const Hand hand : {Hand::right, Hand::left}) {
    if (hand == Hand::left && !w.left) continue;
    for (const WholeWing& wing : w.of(hand).wings)
      for (const TruePanel& panel : wing.panels) {
        const char* hands = !w.left && wing.mirrored ? "right and left" : name(hand);
        for (const Skin& skin : panel.skins) root["skins"].push_back(skinOf(panel, skin, hands));
        if (panel.sheet) root["sheetPanels"].push_back(sheetOf(panel, *panel.sheet, hands));
        for (const CoverPiece& p : coverPieces(panel.design, panel.shape.loft))
          root["covering"].push_back({{"wing", panel.design.id.wing + 1},
                                      {"panel", panel.design.id.panel + 1},
                                      {"hand", hands},
                                      {"face", p.face == Face::upper ? "top" : "bottom"},
                                      {"length", p.length},
                                      {"width", p.width},
                                      {"strips", p.strips}});
        if (hand == Hand::right)
          for (const Hold& h : panel.holds)
            root["lookAt"].push_back({{"key", h.key}, {"what", h.what}, {"looked", h.looked}});
      }
  }
  out << root.dump(2) << '\n';
}

} // namespace eup::cli
