#include "core/wing/joints.h"
#include "core/joins/join_parts.h"
#include "core/parts/frame_bonds.h"
#include "core/skins/skin_bonds.h"
#include "core/surfaces/surface_bonds.h"
#include "core/wing/run_over.h"

namespace eup {

/// Strips that are cracked at the panel's root close on themselves there, face to face.
static std::vector<Bond> bondsOfNicks(const TruePanel& p) {
  std::vector<Bond> out;
  if (p.design.join.sparsThere != SparsThere::cracked) return out;
  for (const Part& part : p.parts) {
    if (!runsOverRoot(part)) continue;
    const bool sheet = part.stock.form == Stock::Form::sheet; // it stands upright
    const double across = sheet ? part.stock.thickness : part.breadth,
                 cut = nickDepth(sheet ? part.breadth : part.stock.thickness, p.design.join);
    if (cut > 0)
      out.push_back({part.id, part.id, GlueUse::join, across, part.count * across * cut, part.from,
                     part.shared ? BondTo::other : BondTo::inside});
  }
  return out;
}

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
  put(bondsOfNicks(p));
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
