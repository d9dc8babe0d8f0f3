#include "core/design/subject.h"
#include <fmt/format.h>

namespace eup {

Stage stageOf(Topic topic) {
  switch (topic) {
  case Topic::none:
    return Stage::plan;
  case Topic::rootSection:
  case Topic::tipSection:
    return Stage::sections;
  case Topic::model:
  case Topic::wing:
  case Topic::panel:
  case Topic::ribPlaces:
  case Topic::tip:
  case Topic::leftHand:
    return Stage::panels;
  case Topic::ribs:
  case Topic::sticks:
  case Topic::riblets:
  case Topic::lightening:
  case Topic::capStrips:
  case Topic::leadingEdge:
  case Topic::trailingEdge:
    return Stage::ribs;
  case Topic::spar:
  case Topic::topCap:
  case Topic::bottomCap:
  case Topic::webs:
  case Topic::stiffening:
  case Topic::loads:
  case Topic::happenings:
  case Topic::twistAndDive:
    return Stage::spars;
  case Topic::join:
  case Topic::brace:
  case Topic::joiner:
  case Topic::strut:
  case Topic::posts:
  case Topic::settingUp:
    return Stage::joins;
  case Topic::sheeting:
  case Topic::sheetingBelow:
  case Topic::sheeted:
  case Topic::holds:
  case Topic::sheetPanel:
  case Topic::cloth:
    return Stage::skins;
  case Topic::foam:
  case Topic::inCore:
  case Topic::wire:
  case Topic::machine:
    return Stage::foam;
  case Topic::surface:
  case Topic::surfaceTravel:
  case Topic::surfaceMake:
  case Topic::surfaceHinges:
  case Topic::surfaceSlide:
  case Topic::surfaceDrive:
  case Topic::run:
  case Topic::hardPoint:
    return Stage::surfaces;
  case Topic::cutList:
  case Topic::balance:
  case Topic::aboard:
    return Stage::stock;
  case Topic::bench:
  case Topic::benchStep:
    break;
  }
  return Stage::build;
}

bool isPartOfSpar(Topic topic) {
  return topic == Topic::topCap || topic == Topic::bottomCap || topic == Topic::webs;
}

bool isPartOfSurface(Topic topic) {
  return stageOf(topic) == Stage::surfaces && topic != Topic::surface && topic != Topic::run &&
         topic != Topic::hardPoint;
}

std::string Subject::key() const {
  return fmt::format("{}.{}", topicChoices[static_cast<std::size_t>(topic)].key, number);
}

std::string braceName(int number) {
  constexpr std::array<const char*, mostBraces> which{"", "second ", "third ", "fourth "};
  return which.at(static_cast<std::size_t>(number)) + std::string("brace");
}

std::string titleOf(const Subject& s, const Design& design, PanelId id) {
  const PanelDesign& panel = design.at(id);
  const auto k = static_cast<std::size_t>(s.number);
  if (s.topic == Topic::spar && k < panel.spars.size()) return panel.spars[k].name;
  if (s.topic == Topic::spar) return fmt::format("Spar {}", s.number + 1);
  if (s.topic == Topic::join && id.panel == 0)
    return mirrored(design.wings.at(static_cast<std::size_t>(id.wing))) ? "Centre join" : "Setting up";
  if (const auto& struts = design.wings.at(static_cast<std::size_t>(id.wing)).struts;
      s.topic == Topic::strut && k < struts.size())
    return struts[k].name;
  if (s.topic == Topic::benchStep && k < design.bench.own.size()) return design.bench.own[k].name;
  if (s.topic == Topic::aboard && k < design.balance.aboard.size()) return design.balance.aboard[k].name;
  if (s.topic == Topic::sheeted && k < panel.sheeted.size())
    return fmt::format("Sheet, ribs {} to {}", panel.sheeted[k].fromRib, panel.sheeted[k].toRib);
  if (s.topic == Topic::inCore && k < panel.inCore.size()) return panel.inCore[k].name;
  if (s.topic == Topic::run && k < panel.runs.size()) return panel.runs[k].name;
  if (s.topic == Topic::hardPoint && k < panel.hardPoints.size()) return panel.hardPoints[k].name;
  if (s.topic == Topic::surface && k < panel.surfaces.size()) return panel.surfaces[k].name;
  const bool foam = panel.built == Built::foam;
  if (s.topic == Topic::sheetingBelow && foam) return "Skin, below";
  if (s.topic == Topic::sheeting && foam)
    return panel.sheeting.ownBelow && panel.sheeting.top ? "Skin, on top" : "Skin";
  if (s.topic == Topic::sheeting && panel.sheeting.top && panel.sheeting.bottom && panel.sheeting.ownBelow)
    return "Nose sheet, on top";
  if (s.topic == Topic::brace) {
    std::string name = braceName(s.number);
    name[0] = static_cast<char>(std::toupper(static_cast<unsigned char>(name[0])));
    return name;
  }
  return std::string(topicChoices[static_cast<std::size_t>(s.topic)].label);
}

std::string fullTitleOf(const Subject& s, const Design& design, PanelId id) {
  const std::string title = titleOf(s, design, id);
  const bool ofSurface = isPartOfSurface(s.topic);
  if (!isPartOfSpar(s.topic) && !ofSurface) return title;
  std::string small = title;
  small[0] = static_cast<char>(std::tolower(static_cast<unsigned char>(small[0])));
  return titleOf({ofSurface ? Topic::surface : Topic::spar, s.number}, design, id) + ", " + small;
}

std::vector<Subject> subjectsOf(const Design& design, Stage stage, PanelId id) {
  const Wing& wing = design.wings.at(static_cast<std::size_t>(id.wing));
  const PanelDesign& panel = wing.panels.at(static_cast<std::size_t>(id.panel));
  const bool sheet = panel.built == Built::sheet, foam = panel.built == Built::foam;
  const bool innermost = id.panel == 0, outermost = id.panel + 1 == static_cast<int>(wing.panels.size());
  std::vector<Subject> out;
  const auto add = [&](std::initializer_list<Topic> topics) {
    for (const Topic t : topics) out.push_back({t, 0});
  };
  switch (stage) {
  case Stage::plan:
    break;
  case Stage::sections:
    if (innermost || !panel.panel.continues) add({Topic::rootSection}); // else the tip of the panel inside
    add({Topic::tipSection});
    break;
  case Stage::panels:
    add({Topic::panel, Topic::ribPlaces});
    if (outermost) add({Topic::tip});
    if (mirrored(wing)) add({Topic::leftHand});
    add({Topic::wing, Topic::model});
    break;
  case Stage::ribs:
    if (sheet) break;
    if (foam) {
      add({Topic::leadingEdge, Topic::trailingEdge});
      break;
    }
    add({Topic::ribs});
    if (panel.ribs.make == RibMake::sticks) add({Topic::sticks});
    add({Topic::riblets, Topic::capStrips, Topic::leadingEdge, Topic::trailingEdge});
    if (panel.ribs.make != RibMake::sticks) add({Topic::lightening});
    break;
  case Stage::spars:
    for (int i = 0; i < static_cast<int>(panel.spars.size()) && !sheet; ++i) {
      out.push_back({Topic::spar, i});
      const Spar& spar = panel.spars[static_cast<std::size_t>(i)];
      if (spar.kind != SparKind::caps) continue;
      out.push_back({Topic::topCap, i});
      out.push_back({Topic::bottomCap, i});
      if (spar.top.fitted && spar.bottom.fitted && !foam) out.push_back({Topic::webs, i});
    }
    if (!sheet) add({Topic::stiffening});
    add({Topic::loads, Topic::happenings, Topic::twistAndDive});
    break;
  case Stage::joins:
    if (!innermost || mirrored(wing)) { // a fin's root meets nothing of its own
      add({Topic::join});
      for (int i = 0; i < static_cast<int>(panel.join.braces.size()) && !sheet && !foam; ++i)
        out.push_back({Topic::brace, i});
      if (!sheet && !foam) add({Topic::joiner});
    }
    if (mirrored(wing) && innermost) { // of the wing, and told with its root
      for (int i = 0; i < std::max(1, static_cast<int>(wing.struts.size())); ++i) out.push_back({Topic::strut, i});
      add({Topic::posts});
    }
    if (!sheet && !foam) add({Topic::settingUp}); // no packing under ribs that are not there
    break;
  case Stage::skins:
    add({sheet ? Topic::sheetPanel : Topic::sheeting});
    if (const Sheeting& s = panel.sheeting; !sheet && s.top && s.bottom && s.ownBelow) add({Topic::sheetingBelow});
    for (int i = 0; i < static_cast<int>(panel.sheeted.size()) && !sheet && !foam; ++i)
      out.push_back({Topic::sheeted, i});
    add({Topic::cloth});
    for (int i = 0; i < std::max(1, static_cast<int>(panel.holds.size())); ++i) out.push_back({Topic::holds, i});
    break;
  case Stage::foam:
    if (!sheet) add({Topic::foam});
    if (!foam) break;
    for (int i = 0; i < std::max(1, static_cast<int>(panel.inCore.size())); ++i) out.push_back({Topic::inCore, i});
    add({Topic::wire, Topic::machine});
    break;
  case Stage::surfaces:
    for (int i = 0; i < std::max(1, static_cast<int>(panel.surfaces.size())); ++i) {
      out.push_back({Topic::surface, i});
      if (panel.surfaces.empty()) break;
      out.push_back({Topic::surfaceTravel, i});
      if (!panel.surfaces[static_cast<std::size_t>(i)].whole())
        out.push_back({Topic::surfaceMake, i}), out.push_back({Topic::surfaceHinges, i});
      if (panel.surfaces[static_cast<std::size_t>(i)].kind == SurfaceKind::flap)
        out.push_back({Topic::surfaceSlide, i});
      out.push_back({Topic::surfaceDrive, i});
    }
    if (!sheet && !foam) // in a core they are grooves and blocks
      for (int i = 0; i < std::max(1, static_cast<int>(panel.runs.size())); ++i) out.push_back({Topic::run, i});
    if (!sheet && !foam)
      for (int i = 0; i < std::max(1, static_cast<int>(panel.hardPoints.size())); ++i)
        out.push_back({Topic::hardPoint, i});
    break;
  case Stage::stock:
    add({Topic::cutList, Topic::balance});
    for (int i = 0; i < static_cast<int>(design.balance.aboard.size()); ++i) out.push_back({Topic::aboard, i});
    break;
  case Stage::build:
    add({Topic::bench});
    for (int i = 0; i < static_cast<int>(design.bench.own.size()); ++i) out.push_back({Topic::benchStep, i});
    break;
  }
  return out;
}

} // namespace eup
