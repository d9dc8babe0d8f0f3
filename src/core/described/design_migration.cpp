#include "core/described/design_migration.h"
#include "core/described/design_file.h"
#include "core/described/number_migration.h"
#include "core/files/shipped.h"

namespace eup {
namespace {

/// What older files lack takes what a new wing had in version 8, whatever a new wing has today.
Json freshDesign() {
  return Json::parse(shipped::newWingOfVersion8());
}
Json freshPanel() {
  return freshDesign()["wings"][0]["panels"][0];
}

/// Version 1 had a section as either digits or a list of points; since 2 it has a kind, and steps.
void migrateSections(Json& json) {
  if (!json.contains("sections") || !json["sections"].is_object()) return;
  const Json fresh = freshPanel()["sections"]["root"];
  for (auto& [end, old] : json["sections"].items()) {
    if (!old.is_object() || old.contains("kind")) continue;
    Json now = fresh;
    if (old.contains("naca")) {
      now["naca"] = old["naca"];
    } else {
      now["kind"] = "listed";
      for (const char* key : {"name", "upper", "lower"}) now["listed"][key] = old.contains(key) ? old[key] : Json();
      if (!old.contains("name")) now["listed"]["name"] = "listed";
      if (old.contains("smooth")) now["smoothListed"] = old["smooth"];
    }
    old = std::move(now);
  }
}

/// Up to version 2 a file held one panel, whose groups stood at the top; since 3 a file has wings, and they panels.
void migratePanel(Json& json) {
  Json panel = Json::object();
  for (const char* group :
       {"sections", "panel", "ribs", "sheeting", "capStrips", "leadingEdge", "trailingEdge", "spars", "join"})
    if (json.contains(group)) {
      panel[group] = std::move(json[group]);
      json.erase(group);
    }
  if (panel.contains("panel") && panel["panel"].is_object()) {
    Json& shape = panel["panel"];
    if (shape.contains("halfSpan")) shape["span"] = shape["halfSpan"], shape.erase("halfSpan");
    shape["continues"] = true;
    shape["rootWashoutDeg"] = 0.0;
    shape["rootAxis"] = 0.0;
  }
  const Json fresh = freshPanel()["join"];
  if (panel.contains("join") && panel["join"].is_object())
    for (const auto& [key, value] : fresh.items())
      if (key.starts_with("foot") || key == "feet" || key == "packing") panel["join"][key] = value;
  json["wings"] = Json::array({Json{{"name", "Wing"}, {"panels", Json::array({std::move(panel)})}}});
}

/// The first spar with a cap carried the brace before that could be chosen.
int bracedSpar(const Json& spars) {
  for (std::size_t i = 0; spars.is_array() && i < spars.size(); ++i)
    for (const char* cap : {"top", "bottom"})
      if (spars[i].is_object() && spars[i].contains("kind") && spars[i]["kind"] == "caps" && spars[i].contains(cap) &&
          spars[i][cap].is_object() && spars[i][cap].contains("fitted") && spars[i][cap]["fitted"] == true)
        return static_cast<int>(i) + 1;
  return 1;
}

/// Decisions that a group has had since a later version only are as in a new wing: left out.
void fillNew(Json& group, const Json& fresh, std::initializer_list<const char*> keys) {
  if (group.is_object())
    for (const char* key : keys)
      if (!group.contains(key)) group[key] = fresh[key];
}

/// Since version 4 ribs are of several kinds, spars stop and taper, tips have a shape, wings a kind and a place.
void migrateParts(Json& json) {
  if (!json.contains("wings") || !json["wings"].is_array()) return;
  const Json freshWing = freshDesign()["wings"][0], fresh = freshWing["panels"][0];
  for (Json& wing : json["wings"]) {
    if (!wing.is_object()) continue;
    wing["surface"] = freshWing["surface"];
    if (wing.contains("name")) wing["surface"]["name"] = wing["name"], wing.erase("name");
    if (!wing.contains("panels") || !wing["panels"].is_array()) continue;
    for (Json& panel : wing["panels"]) {
      fillNew(panel, fresh, {"riblets", "joiner", "tip"});
      if (!panel.is_object()) continue;
      if (panel.contains("ribs"))
        fillNew(panel["ribs"], fresh["ribs"], {"denseRoot", "denseTip", "thick", "thickThickness", "doubled"});
      const bool spars = panel.contains("spars") && panel["spars"].is_array();
      if (panel.contains("join")) {
        fillNew(panel["join"], fresh["join"], {"rootLeans", "braceSpar", "braceOver", "braceSlots"});
        if (spars && panel["join"].is_object()) panel["join"]["braceSpar"] = bracedSpar(panel["spars"]);
      }
      for (std::size_t i = 0; spars && i < panel["spars"].size(); ++i) {
        Json& spar = panel["spars"][i];
        fillNew(spar, fresh["spars"][0], {"stops", "stopsAt"});
        for (const char* cap : {"top", "bottom"})
          if (spar.is_object() && spar.contains(cap))
            fillNew(spar[cap], fresh["spars"][0][cap], {"tapers", "tipWidth", "tipDepth"});
      }
    }
  }
}

/// Since version 5 ribs have a direction, a cap's wood may change, a join has a second brace, rods and what its spars
/// do.
void migrateDirections(Json& json) {
  if (!json.contains("wings") || !json["wings"].is_array()) return;
  const Json fresh = freshPanel();
  if (json.contains("flying")) fillNew(json["flying"], freshDesign()["flying"], {"twistCouple"});
  for (Json& wing : json["wings"]) {
    if (!wing.is_object() || !wing.contains("panels") || !wing["panels"].is_array()) continue;
    for (Json& panel : wing["panels"]) {
      if (!panel.is_object()) continue;
      fillNew(panel, fresh, {"brace2", "stiffening"});
      if (panel.contains("ribs")) fillNew(panel["ribs"], fresh["ribs"], {"direction", "angleDeg", "crossing"});
      if (panel.contains("tip")) fillNew(panel["tip"], fresh["tip"], {"springBack", "radius"});
      if (panel.contains("join"))
        fillNew(panel["join"], fresh["join"],
                {"sparsThere", "crackLeaves", "braceForm", "rods", "rodDiameter", "rodFront", "rodRear"});
      if (!panel.contains("spars") || !panel["spars"].is_array()) continue;
      for (Json& spar : panel["spars"]) {
        fillNew(spar, fresh["spars"][0], {"webs", "webThickness", "webMaterial"});
        for (const char* cap : {"top", "bottom"})
          if (spar.is_object() && spar.contains(cap))
            fillNew(spar[cap], fresh["spars"][0][cap], {"changes", "changesAt", "thenMaterial"});
      }
    }
  }
}

/// Since version 6 there are several loads: pushing over, gust, line, tip, dive.
void migrateLoads(Json& json) {
  if (json.contains("flying"))
    fillNew(json["flying"], freshDesign()["flying"],
            {"kind", "pushFactor", "table", "relief", "airSpeed", "gust", "linePull", "tipTouch", "diveSpeed",
             "aileronChord", "aileronFrom"});
}

template <class Do> void forEachPanel(Json& json, Do each) {
  if (!json.contains("wings") || !json["wings"].is_array()) return;
  for (Json& wing : json["wings"]) {
    if (!wing.is_object() || !wing.contains("panels") || !wing["panels"].is_array()) continue;
    for (Json& panel : wing["panels"])
      if (panel.is_object()) each(panel);
  }
}

/// Since version 7 builders have rows of their own in the tables, frames are of a chosen wood, webs have a grain.
void migrateMaterials(Json& json) {
  const Json fresh = freshDesign();
  fillNew(json, fresh, {"own", "glue"});
  const Json freshPanel = fresh["wings"][0]["panels"][0];
  forEachPanel(json, [&](Json& panel) {
    for (const char* group : {"ribs", "sheeting", "capStrips", "leadingEdge", "trailingEdge"})
      if (panel.contains(group)) fillNew(panel[group], freshPanel[group], {"material"});
    if (panel.contains("joiner")) fillNew(panel["joiner"], freshPanel["joiner"], {"facing"});
    if (panel.contains("sheeting")) fillNew(panel["sheeting"], freshPanel["sheeting"], {"carries"});
    if (panel.contains("spars") && panel["spars"].is_array())
      for (Json& spar : panel["spars"]) {
        fillNew(spar, freshPanel["spars"][0], {"webGrain"});
        for (const char* cap : {"top", "bottom"})
          if (spar.is_object() && spar.contains(cap))
            fillNew(spar[cap], freshPanel["spars"][0][cap], {"shape", "wall", "doubled", "doubledTo", "doubler"});
      }
  });
}

/// Since version 8 load factors are a table too, with rows of the builder's own, and a cap may end before its spar.
void migrateLoadFactors(Json& json) {
  const Json fresh = freshDesign();
  if (json.contains("own")) fillNew(json["own"], fresh["own"], {"loadFactors"});
  const Json freshSpar = fresh["wings"][0]["panels"][0]["spars"][0];
  forEachPanel(json, [&](Json& panel) {
    if (!panel.contains("spars") || !panel["spars"].is_array()) return;
    for (Json& spar : panel["spars"])
      for (const char* cap : {"top", "bottom"})
        if (spar.is_object() && spar.contains(cap)) fillNew(spar[cap], freshSpar[cap], {"drops", "dropsAt"});
  });
}

/// Since version 9 a join's braces are a list.
void migrateBraces(Json& json) {
  const auto lower = [](std::string key) {
    key[0] = static_cast<char>(std::tolower(static_cast<unsigned char>(key[0])));
    return key;
  };
  forEachPanel(json, [&](Json& panel) {
    Json braces = Json::array();
    if (panel.contains("join") && panel["join"].is_object()) {
      Json &join = panel["join"], first = Json::object();
      for (const char* key : {"Spar", "Thickness", "Side", "Form", "Over", "ToRib", "Slots", "Material"})
        if (const std::string was = std::string("brace") + key; join.contains(was))
          first[lower(key)] = std::move(join[was]), join.erase(was);
      if (join.contains("brace")) {
        if (join["brace"] == true) braces.push_back(std::move(first));
        join.erase("brace");
      }
    }
    if (panel.contains("brace2") && panel["brace2"].is_object()) {
      Json& second = panel["brace2"];
      const bool fitted = second.contains("fitted") && second["fitted"] == true;
      second.erase("fitted");
      if (fitted) braces.push_back(std::move(second));
    }
    panel.erase("brace2");
    if (panel.contains("join") && panel["join"].is_object()) panel["join"]["braces"] = std::move(braces);
  });
}

/// Since version 10 an edge's width is meant square to the edge unless it says otherwise; it was along the flight. And
/// it is decided where the leading edge is packed, and which faces are covered.
void migrateWidths(Json& json) {
  forEachPanel(json, [&](Json& panel) {
    for (const char* edge : {"leadingEdge", "trailingEdge"})
      if (panel.contains(edge) && panel[edge].is_object()) panel[edge]["widthIs"] = "alongFlight";
    if (panel.contains("join") && panel["join"].is_object()) panel["join"]["noseOn"] = "rear";
    if (panel.contains("stiffening") && panel["stiffening"].is_object()) panel["stiffening"]["coveringOn"] = "both";
  });
}

/// Since version 11 there is a cut list, a block's height may decide the dihedral, one end may take the whole angle of
/// a join, and templates are asked for by rib.
void migrateBlocks(Json& json) {
  json["cutList"] = Json{{"trim", 3.0}, {"spares", 0}, {"batch", 1}, {"stock", 1000.0}, {"scarf", 10.0}};
  json["balance"] = Json{{"margin", 0.08},          {"glue", 0.0},
                         {"tailFlow", 0.9},         {"ballastAft", -150.0},
                         {"aboard", Json::array()}, {"scales", Json{{"weighed", Json::array()}}}};
  forEachPanel(json, [&](Json& panel) {
    if (!panel.contains("join") || !panel["join"].is_object()) return;
    if (panel.contains("ribs") && panel["ribs"].is_object())
      panel["ribs"]["second"] = "none", panel["ribs"]["secondMaterial"] = "light-ply";
    if (panel.contains("spars") && panel["spars"].is_array())
      for (Json& spar : panel["spars"])
        for (const char* cap : {"top", "bottom"})
          if (spar.is_object() && spar.contains(cap) && spar[cap].is_object()) spar[cap]["taperFrom"] = 0.0;
    panel["join"]["blockHeight"] = 0.0;
    panel["join"]["angleTaken"] = "halves";
    panel["join"]["templates"] = Json::array();
  });
}

/// Since version 12 the left hand may differ, wings have struts and posts, tips outlines of their own, ribs are
/// stacked, a trailing edge may be a square strip and a leading edge stand proud.
void migrateHands(Json& json) {
  if (json.contains("wings") && json["wings"].is_array())
    for (Json& wing : json["wings"])
      if (wing.is_object()) {
        wing["hinged"] = false;
        wing["struts"] = Json::array();
        wing["posts"] = Json{{"fitted", false},     {"front", 0.05},   {"rear", 0.6},    {"height", 30.0},
                             {"incidenceDeg", 3.0}, {"diameter", 1.5}, {"inTube", 12.0}, {"material", "spruce"}};
      }
  const auto put = [](Json& panel, const char* group, std::initializer_list<std::pair<const char*, Json>> values) {
    if (!panel.contains(group) || !panel[group].is_object()) return;
    for (const auto& [key, value] : values) panel[group][key] = value;
  };
  forEachPanel(json, [&](Json& panel) {
    put(panel, "ribs", {{"make", "each"}, {"boltFront", 0.2}, {"boltRear", 0.6}, {"bolt", 3.0}});
    put(panel, "leadingEdge", {{"proud", 0.0}, {"gauges", Json::array()}});
    put(panel, "trailingEdge", {{"height", 3.0}});
    put(panel, "tip",
        {{"outline", Json::array({Json::array({30.0, 35.0}), Json::array({90.0, 40.0}), Json::array({140.0, 25.0})})},
         {"rounding", true},
         {"pieces", 1},
         {"joint", "butt"}});
    panel["left"] = Json{{"differs", false}, {"span", 0.0}, {"rootChord", 0.0}, {"tipChord", 0.0}, {"washoutDeg", 0.0}};
  });
}

/// Since version 13 ribs may be of sticks, a sheet spar told as it was cut, a square trailing edge laminated and run on
/// round the tip, and posts stand off the middle.
void migrateSticks(Json& json) {
  if (json.contains("cutList") && json["cutList"].is_object()) json["cutList"]["sheetWidth"] = 100.0;
  if (json.contains("wings") && json["wings"].is_array())
    for (Json& wing : json["wings"])
      if (wing.is_object() && wing.contains("posts") && wing["posts"].is_object()) wing["posts"]["offset"] = 0.0;
  forEachPanel(json, [&](Json& panel) {
    panel["sheeted"] = Json::array();
    panel["sticks"] = Json{{"depth", 2.0},      {"lacing", "zigzag"}, {"bay", 30.0},
                           {"noseBlock", 10.0}, {"tailBlock", 14.0},  {"gussets", "both"},
                           {"gusset", 8.0},     {"gussetSheet", 0.4}, {"gussetMaterial", "light-ply"},
                           {"ends", false}};
    if (panel.contains("spars") && panel["spars"].is_array())
      for (Json& spar : panel["spars"])
        if (spar.is_object()) spar["cutShort"] = 0.0, spar["shortBelow"] = false, spar["rescued"] = false;
    if (panel.contains("trailingEdge") && panel["trailingEdge"].is_object()) panel["trailingEdge"]["strips"] = 1;
    if (panel.contains("tip") && panel["tip"].is_object()) panel["tip"]["runsOn"] = false;
  });
}

/// Since version 14 a strut's foot may stand on another wing; sheet ends at any face of a spar or before the trailing
/// edge, has its own grain and layers; covering is cut from a roll; what is closed in is looked at first.
void migrateSkins(Json& json) {
  if (json.contains("wings") && json["wings"].is_array())
    for (Json& wing : json["wings"])
      if (wing.is_object() && wing.contains("struts") && wing["struts"].is_array())
        for (Json& strut : wing["struts"])
          if (strut.is_object())
            strut["foot"] = "fuselage", strut["footWing"] = 2, strut["footPanel"] = 1, strut["footSpar"] = 1,
            strut["footOut"] = 350.0, strut["on"] = strut["footOn"] = "spar", strut["rib"] = strut["footRib"] = 2,
            strut["chord"] = strut["footChord"] = 0.65;
  if (json.contains("cutList") && json["cutList"].is_object())
    json["cutList"]["coverRoll"] = 600.0, json["cutList"]["coverOverlap"] = 15.0;
  forEachPanel(json, [&](Json& panel) {
    const auto sheet = [](Json& s) { s["grainDeg"] = 0.0, s["layers"] = 1; };
    if (panel.contains("sheeting") && panel["sheeting"].is_object()) {
      sheet(panel["sheeting"]);
      panel["sheeting"]["fromTail"] = 30.0;
      if (panel["sheeting"].contains("to") && panel["sheeting"]["to"] == "spar") panel["sheeting"]["to"] = "sparRear";
    }
    if (panel.contains("sheeted") && panel["sheeted"].is_array())
      for (Json& bays : panel["sheeted"])
        if (bays.is_object()) sheet(bays);
    panel["holds"] = Json::array();
    panel["built"] = "ribs";
    panel["sheet"] = Json{{"thickness", 3.0},         {"material", "balsa-160"}, {"edge", 0.0},
                          {"edgeMaterial", "spruce"}, {"formers", false},        {"formerThickness", 1.5}};
  });
  json["records"] = Json{{"looked", Json::array()}};
}

/// Since version 15 the nose sheet may be another one below and run over the leading edge's stock, sheet over bays
/// begins and ends where it is decided, sheets are scarfed or lapped and joined on ribs of choice; cloth lies on any
/// skin; webs stand on their caps' faces; dope is weighed; panels may be of foam, cut by a wire.
void migrateZones(Json& json) {
  json["wire"] = Json{{"kerf", 1.0},         {"kerfSpeed", 4.0},    {"kerfPower", 0.5},      {"speed", 4.0},
                      {"compensate", true},  {"lead", 15.0},        {"marks", 10},           {"boardLength", 1250.0},
                      {"boardWidth", 600.0}, {"boardHeight", 50.0}, {"towersApart", 1000.0}, {"fromTower", 100.0},
                      {"axes", "XYUV"},      {"feed", "time"},      {"heat", 60.0},          {"preheat", 10.0},
                      {"blockAft", 60.0},    {"blockUp", 20.0},     {"clear", 15.0},         {"travelAft", 700.0},
                      {"travelUp", 300.0}};
  if (json.contains("cutList") && json["cutList"].is_object())
    json["cutList"]["faceUp"] = "inner", json["cutList"]["leftSooner"] = false;
  const auto joined = [](Json& s) { s["joint"] = "butt", s["overlap"] = 10.0; };
  const auto joints = [](Json& s) { s["joints"] = s["jointsBelow"] = Json::array(); };
  forEachPanel(json, [&](Json& panel) {
    if (panel.contains("sheeting") && panel["sheeting"].is_object()) {
      Json& s = panel["sheeting"];
      joined(s), joints(s);
      s["from"] = "behindStock", s["ownBelow"] = false;
      s["below"] = Json{{"thickness", 1.5}, {"to", "fraction"},        {"fraction", 0.32}, {"spar", 1},
                        {"fromTail", 30.0}, {"material", "balsa-160"}, {"grainDeg", 0.0},  {"layers", 1}};
      joined(s["below"]);
    }
    if (panel.contains("sheeted") && panel["sheeted"].is_array())
      for (Json& bays : panel["sheeted"])
        if (bays.is_object()) {
          joined(bays), joints(bays);
          bays["from"] = "before", bays["fromFraction"] = 0.4, bays["fromSpar"] = 1;
          bays["to"] = "stock", bays["fraction"] = 0.7, bays["spar"] = 1, bays["fromTail"] = 30.0;
        }
    panel["cloth"] =
        Json{{"top", 0},     {"bottom", 0},  {"gsm", 25.0}, {"resinRatio", 1.0}, {"material", "glass-cloth"},
             {"strip", 0.0}, {"hours", 24.0}};
    if (panel.contains("sheet") && panel["sheet"].is_object()) {
      Json &sheet = panel["sheet"], &cloth = panel["cloth"];
      sheet["grainDeg"] = 0.0;
      for (const auto& [was, is] :
           {std::pair("clothTop", "top"), std::pair("clothBottom", "bottom"), std::pair("clothGsm", "gsm"),
            std::pair("resinRatio", "resinRatio"), std::pair("clothMaterial", "material")})
        if (sheet.contains(was)) cloth[is] = sheet[was], sheet.erase(was);
    }
    panel["foam"] = Json{{"material", "foam-xps-33"},
                         {"cores", 1},
                         {"washoutIn", "templates"},
                         {"endRib", 0.0},
                         {"endRibMaterial", "light-ply"}};
    // A panel of sheet had no tip of its own, whatever was decided of one.
    if (panel.contains("built") && panel["built"] == "sheet" && panel.contains("tip") && panel["tip"].is_object())
      panel["tip"]["kind"] = "square";
    if (panel.contains("spars") && panel["spars"].is_array())
      for (Json& spar : panel["spars"])
        if (spar.is_object()) spar["websOn"] = "between", spar["webShort"] = 0.5;
    if (panel.contains("stiffening") && panel["stiffening"].is_object()) panel["stiffening"]["dope"] = 0.0;
  });
}

/// Since version 16 things lie in the foam beside caps, and a cut may rest at the nose or begin below.
void migrateThingsInFoam(Json& json) {
  if (json.contains("wire") && json["wire"].is_object())
    json["wire"]["first"] = "upper", json["wire"]["rest"] = 0.0, json["wire"]["speedOf"] = "faster";
  forEachPanel(json, [](Json& panel) {
    panel["inCore"] = Json::array();
    if (panel.contains("foam") && panel["foam"].is_object())
      panel["foam"]["ribsBetween"] = panel["foam"]["between"] = false;
  });
}

/// Since version 17 panels carry surfaces on hinges.
void migrateSurfaces(Json& json) {
  if (json.contains("own") && json["own"].is_object()) json["own"]["servos"] = Json::array();
  forEachPanel(json, [](Json& panel) {
    for (const char* list : {"surfaces", "runs", "hardPoints"}) panel[list] = Json::array();
    panel["lightening"] = Json{{"bored", false}, {"from", 0.1},  {"to", 0.7},    {"rim", 5.0},
                               {"least", 8.0},   {"most", 40.0}, {"ends", false}};
  });
}

/// Since version 18 the work at the bench is decided and recorded, and glues say how long they cure.
void migrateBench(Json& json) {
  if (json.contains("own") && json["own"].is_object() && json["own"].contains("glues") &&
      json["own"]["glues"].is_array())
    for (Json& glue : json["own"]["glues"])
      if (glue.is_object()) glue["cureHours"] = 2.0, glue["cureHoursCold"] = 0.0, glue["openMinutes"] = 10.0;
  json["bench"] = Json{{"first", ""},
                       {"weekday", 120.0},
                       {"weekend", 300.0},
                       {"hour", 18},
                       {"hands", 1},
                       {"celsius", 20.0},
                       {"cover", "joined"},
                       {"own", Json::array()},
                       {"order", Json{{"needs", Json::array()}, {"leftOut", Json::array()}}}};
  if (!json.contains("records") || !json["records"].is_object()) json["records"] = Json{{"looked", Json::array()}};
  for (const char* list : {"steps", "readings", "parts", "log"}) json["records"][list] = Json::array();
}

/// Since version 19 a wire may join both halves of a surface, and own steps keep their number.
void migrateJoinWires(Json& json) {
  if (json.contains("bench") && json["bench"].is_object() && json["bench"].contains("own") &&
      json["bench"]["own"].is_array()) {
    int number = 0;
    for (Json& step : json["bench"]["own"])
      if (++number; step.is_object()) step["number"] = number, step["eachHand"] = false;
  }
  forEachPanel(json, [](Json& panel) {
    if (!panel.contains("surfaces") || !panel["surfaces"].is_array()) return;
    for (Json& surface : panel["surfaces"])
      if (surface.is_object() && surface.contains("drive") && surface["drive"].is_object())
        surface["drive"]["joinWire"] = 0.0, surface["drive"]["joinIn"] = 15.0, surface["drive"]["joinLeg"] = 40.0;
  });
}

} // namespace

void migrate(Json& json, int version) {
  if (version < 2) migrateSections(json);
  if (version < 3) migratePanel(json);
  if (version < 4) migrateParts(json);
  if (version < 5) migrateDirections(json);
  if (version < 6) migrateLoads(json);
  if (version < 7) migrateMaterials(json);
  if (version < 8) migrateLoadFactors(json);
  if (version < 9) migrateBraces(json);
  if (version < 10) migrateWidths(json);
  if (version < 11) migrateBlocks(json);
  if (version < 12) migrateHands(json);
  if (version < 13) migrateSticks(json);
  if (version < 14) migrateSkins(json);
  if (version < 15) migrateZones(json);
  if (version < 16) migrateThingsInFoam(json);
  if (version < 17) migrateSurfaces(json);
  if (version < 18) migrateBench(json);
  if (version < 19) migrateJoinWires(json);
  if (version < 20) migrateNumbers(json);
  if (version < 21) migrateItems(json);
}

} // namespace eup
