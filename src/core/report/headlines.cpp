#include "core/report/headlines.h"
#include "core/report/finder.h"
#include <fmt/format.h>

namespace eup {
namespace {

/// Takes "panel2." or "wing3." off the front.
void dropPlace(std::string& key, std::string_view head) {
  if (key.starts_with(head) && key.size() > head.size() && std::isdigit(static_cast<unsigned char>(key[head.size()])))
    key.erase(0, key.find('.') + 1);
}

} // namespace

std::string kindOf(std::string key) {
  dropPlace(key, "wing");
  dropPlace(key, "panel");
  for (const std::string head : {"rib.", "setup."})
    if (key.starts_with(head)) return head + "*" + key.substr(std::min(key.find('.', head.size()), key.size()));
  return key;
}

std::vector<std::string> headlinesOf(Stage stage, const Subject& subject) {
  const auto of = [](const std::string& head, std::initializer_list<const char*> keys) {
    std::vector<std::string> out;
    for (const char* key : keys) out.push_back(head + key);
    return out;
  };
  switch (stage) {
  case Stage::plan:
    return of("plan.", {"halfSpan", "rootChord", "tipChord"});
  case Stage::sections:
    return of(subject.topic == Topic::tipSection ? "section.tip." : "section.root.",
              {"thickness", "camber", "undercamber", "noseRadius", "flatRun"});
  case Stage::panels:
    return of("panel.", {"area", "loading", "mac", "aspect"});
  case Stage::ribs:
    return of("rib.*.", {"chord", "depth", "washout", "mass"});
  case Stage::spars: {
    const std::string spar = fmt::format("spar.{}.", subject.number + 1);
    switch (subject.topic) {
    case Topic::topCap:
      return {spar + "worstReserve", spar + "stressTop", "mass.spars", "load.tipDeflection"};
    case Topic::bottomCap:
      return {spar + "worstReserve", spar + "stressBottom", "mass.spars", "load.tipDeflection"};
    case Topic::webs:
      return {spar + "web", spar + "webGlue", spar + "webBuckling", "mass.webs", spar + "webShear"};
    case Topic::stiffening:
    case Topic::twistAndDive:
      return {"twist.angle", "twist.stiffness", "twist.grams", "soft.divergence", "soft.diveTwist"};
    case Topic::loads:
    case Topic::happenings:
      return {"load.halfLift", "load.rootMoment", "bay.weakest", "load.tipDeflection"};
    default:
      return {spar + "worstReserve", "edge.leading.reserve", "edge.trailing.reserve",
              "bay.weakest",         "mass.spars",           "load.tipDeflection"};
    }
  }
  case Stage::skins:
    if (subject.topic == Topic::sheetPanel)
      return of("sheet.", {"length", "width", "needs", "reserve", "mass", "twist", "packTrailing"});
    if (subject.topic == Topic::cloth) return of("cloth.", {"mass", "resin", "hours", "area"});
    if (subject.topic == Topic::sheetingBelow)
      return of("skin.nose.", {"bottom.innerWidth", "bottom.outerWidth", "bottom.innerAngle", "bottom.bend"});
    if (subject.topic == Topic::holds) return of("cover.", {"top.length", "top.width", "top.hollow"});
    return of("skin.nose.", {"top.innerWidth", "top.outerWidth", "top.innerAngle", "top.bend", "bottom.innerWidth",
                             "bottom.outerWidth", "bottom.bend"});
  case Stage::foam:
    if (subject.topic == Topic::wire)
      return of("foam.1.", {"inner.slot", "outer.slot", "off", "innerTravelAft", "outerTravelAft"});
    return {"foam.1.blockLength", "foam.1.blockWidth", "foam.1.blockHeight",
            "foam.mass",          "foam.wrinkling",    "foam.twist"};
  case Stage::surfaces: {
    const std::string surface = fmt::format("surface.{}.", subject.number + 1);
    if (subject.topic == Topic::run) return of(fmt::format("run.{}.", subject.number + 1), {"length", "extension"});
    if (subject.topic == Topic::hardPoint)
      return of(fmt::format("hardPoint.{}.", subject.number + 1), {"length", "there"});
    if (subject.topic == Topic::surfaceSlide)
      return {surface + "slideTurn", surface + "slideTurnMid", surface + "slideLength"};
    if (subject.topic == Topic::surfaceDrive)
      return {surface + "rod",  surface + "linkUp",   surface + "linkDown",  surface + "reserve",
              surface + "play", surface + "joinWire", surface + "joinBends", surface + "joinBend"};
    if (subject.topic == Topic::surfaceTravel)
      return {surface + "travelUp", surface + "travelDown", surface + "moment", surface + "weight"};
    if (subject.topic == Topic::surfaceMake)
      return {surface + "facing.inner", surface + "facing.outer", surface + "wingFacing.inner", surface + "mass"};
    if (subject.topic == Topic::surfaceHinges)
      return {surface + "hinge.1", surface + "hinge.2", surface + "hinge.3", surface + "hinge.4"};
    return {surface + "length",       surface + "innerChord",  surface + "outerChord", surface + "innerBackBottom",
            surface + "innerBackTop", surface + "innerRadius", surface + "moment"};
  }
  case Stage::stock:
    if (subject.topic == Topic::cutList) return of("parts.", {"mass", "pieces"});
    return of("balance.", {"at", "wanted", "margin", "ballast"});
  case Stage::build:
    return of("built.", {"twist.right", "twist.left", "edge.right", "edge.left", "mass.right", "mass.left"});
  case Stage::joins:
    break;
  }
  switch (subject.topic) {
  case Topic::brace:
    return of(braceKey(subject.number), {"bend", "reserve", "leg", "depthRoot", "legInside"});
  case Topic::joiner:
    return of("joiner.", {"reserve", "leg", "bend", "socket"});
  case Topic::settingUp:
    return of("setup.*.", {"le", "spar1", "teFront", "te"});
  case Topic::strut: {
    const std::string strut = fmt::format("strut.{}.", subject.number + 1);
    return {strut + "length", strut + "toSpar", strut + "force", strut + "reserve", "struts.relief"};
  }
  case Topic::posts:
    return {"posts.front", "posts.rear", "posts.apart"};
  default:
    return {"join.block", "join.dihedral", "join.rise", "join.trim", "join.break"};
  }
}

} // namespace eup
