#include "core/wing/joints.h"
#include "core/joins/join_parts.h"
#include "core/parts/frame_bonds.h"
#include "core/skins/skin_bonds.h"
#include "core/surfaces/surface_bonds.h"

namespace eup {

static std::vector<Bond> jointsOf(const TruePanel& p) {
  std::vector<Bond> out;
  const auto put = [&](std::vector<Bond> bonds) {
    out.insert(out.end(), std::make_move_iterator(bonds.begin()), std::make_move_iterator(bonds.end()));
  };
  put(bondsOfFrame(p.design, p.shape.loft, p.frame, p.parts));
  if (p.sheet) put(bondsOfSheetPanel(p.design, *p.sheet, p.parts));
  if (p.foam) put(bondsOfFoam(*p.foam, p.parts));
  put(bondsOfSkins(p.design, p.frame, p.skins, p.parts));
  put(bondsOfSurfaces(p.design, p.frame, p.surfaces, p.parts));
  put(bondsOfHardPoints(p.frame, p.hardPoints, p.design.hardPoints, p.parts));
  put(bondsOfJoin(p.design, p.join, p.joiner, p.frame, p.parts));
  return out;
}

const WingJoints& jointsOf(const TrueWing& w) {
  return w.asked->get<WingJoints>([&] {
    WingJoints out;
    for (const WholeWing& wing : w.wings) {
      out.wings.emplace_back();
      for (const TruePanel& panel : wing.panels) out.wings.back().push_back(jointsOf(panel));
    }
    return out;
  });
}

} // namespace eup
