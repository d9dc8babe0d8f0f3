#include "core/described/number_migration.h"
#include "core/design/design.h"
#include <array>
#include <map>
#include <string>

namespace eup {

void migrateNumbers(Json& json) {
  if (json.contains("records") && json["records"].is_object()) {
    bool recorded = false; // perhaps of a panel that was taken out: its place is nobody's number
    for (const char* list : {"looked", "steps", "readings", "parts"})
      recorded = recorded || (json["records"].contains(list) && !json["records"][list].empty());
    json["records"]["numbersGiven"] = recorded ? mostPanels : 0;
  }
  if (!json.contains("wings") || !json["wings"].is_array()) return;
  int wing = 0;
  for (Json& w : json["wings"]) {
    if (!w.is_object()) continue;
    w["number"] = wing++;
    if (!w.contains("panels") || !w["panels"].is_array()) continue;
    int panel = 0;
    for (Json& p : w["panels"]) {
      if (!p.is_object()) continue;
      p["number"] = panel++;
      if (p.contains("ribs") && p["ribs"].is_object()) p["ribs"]["slotCut"] = "square";
    }
  }
}

void migrateItems(Json& json) {
  if (!json.contains("wings") || !json["wings"].is_array()) return;
  std::map<std::string, std::string> looks; // as they were told, and are
  const auto give = [](Json& of, const char* list, const auto& told) {
    if (!of.is_object() || !of.contains(list) || !of[list].is_array()) return;
    int number = 0;
    for (Json& one : of[list])
      if (++number; one.is_object()) one["number"] = number, told(one, number);
  };
  const auto silent = [](const Json&, int) {};
  for (Json& wing : json["wings"]) {
    give(wing, "struts", silent);
    if (!wing.is_object() || !wing.contains("panels") || !wing["panels"].is_array()) continue;
    for (Json& panel : wing["panels"]) {
      if (!panel.is_object()) continue;
      for (const char* list : {"spars", "sheeted", "inCore"}) give(panel, list, silent);
      if (panel.contains("join")) give(panel["join"], "braces", silent);
      if (!wing.contains("number") || !wing["number"].is_number_integer() || !panel.contains("number") ||
          !panel["number"].is_number_integer())
        continue;
      const std::string prefix =
          std::to_string(wing["number"].get<int>()) + "." + std::to_string(panel["number"].get<int>()) + ":";
      for (const auto& [list, kind, name] :
           {std::array{"runs", "run:", "name"}, std::array{"hardPoints", "hard:", "name"},
            std::array{"surfaces", "drive:", "name"}, std::array{"holds", "own:", "what"}})
        give(panel, list, [&, kind = kind, name = name](const Json& one, int number) {
          if (one.contains(name) && one[name].is_string())
            looks.emplace(prefix + kind + one[name].get<std::string>(), prefix + kind + std::to_string(number));
        });
    }
  }
  if (!json.contains("records") || !json["records"].is_object() || !json["records"].contains("looked") ||
      !json["records"]["looked"].is_array())
    return;
  for (Json& looked : json["records"]["looked"])
    if (looked.is_object() && looked.contains("key") && looked["key"].is_string())
      if (const auto now = looks.find(looked["key"].get<std::string>()); now != looks.end())
        looked["key"] = now->second;
}

} // namespace eup
