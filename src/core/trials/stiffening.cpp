#include "core/trials/stiffening.h"
#include <cmath>

namespace eup {
namespace {

struct Way {
  const char* what;
  void (*change)(PanelDesign&);
  bool needsSpar = true; ///< hangs on one
};

template <Diagonals kind, DiagonalPlane plane> void diagonals(PanelDesign& p) {
  p.stiffening.diagonals = kind;
  p.stiffening.plane = plane;
}

void webs(PanelDesign& p) {
  for (Spar& s : p.spars)
    if (s.kind == SparKind::caps && s.top.fitted && s.bottom.fitted && s.webs == Webs::none) s.webs = Webs::between;
}

void rearWebs(PanelDesign& p) {
  Spar& s = p.spars.back();
  if (p.spars.size() > 1 && s.kind == SparKind::caps && s.top.fitted && s.bottom.fitted && s.webs == Webs::none)
    s.webs = Webs::between;
}

void capped(PanelDesign& p) {
  p.capStrips.top = p.capStrips.bottom = true;
}

void leadingSheet(PanelDesign& p) {
  p.sheeting.top = p.sheeting.bottom = true;
  p.sheeting.ownBelow = false;
  p.sheeting.to = SheetTo::sparRear;
  p.sheeting.spar = 1;
}

void sheetAndWebs(PanelDesign& p) {
  webs(p);
  leadingSheet(p);
}

constexpr Way ways[] = {
    {"webs between the caps of every spar", webs},
    {"webs between the caps of the rear spar alone", rearWebs},
    {"cap strips on the ribs, above and below", capped, false},
    {"one diagonal a bay, along the top", diagonals<Diagonals::oneWay, DiagonalPlane::top>},
    {"one a bay, from the spar's top to the underside behind", diagonals<Diagonals::oneWay, DiagonalPlane::sloping>},
    {"crossed diagonals along the top", diagonals<Diagonals::crossed, DiagonalPlane::top>},
    {"zigzag from the spar's top to the underside behind", diagonals<Diagonals::zigzag, DiagonalPlane::sloping>},
    {"zigzag along top and underside", diagonals<Diagonals::zigzag, DiagonalPlane::both>},
    {"leading sheet above and below, to the first spar", leadingSheet},
    {"leading sheet, and webs: a closed nose", sheetAndWebs},
    {"doped tissue", [](PanelDesign& p) { p.stiffening.covering = "tissue"; }, false},
    {"ironed film", [](PanelDesign& p) { p.stiffening.covering = "film"; }, false},
    {"ironed fabric", [](PanelDesign& p) { p.stiffening.covering = "fabric"; }, false},
};

} // namespace

std::vector<StiffeningTrial> stiffeningTrials(const TruePanel& panel, const Progress& progress) {
  std::vector<StiffeningTrial> out;
  if (!panel.strength.twist || panel.strength.twist->twist <= 0) return out;
  out.push_back({"as decided", nullptr, panel.strength.twist->twist, 1, 0});
  // What holds the join is the same with every way.
  double asBuilt = panel.mass.grams();
  for (const Part::What same : {Part::What::brace, Part::What::joiner, Part::What::strut, Part::What::post})
    asBuilt -= panel.mass.gramsOf(same);
  double tried = 0;
  for (const Way& way : ways) {
    if (progress && !progress(tried++ / std::size(ways))) break;
    if (panel.design.spars.empty() && way.needsSpar) continue;
    PanelBrief changed = panel.design;
    way.change(changed);
    if (static_cast<const PanelDesign&>(changed) == static_cast<const PanelDesign&>(panel.design)) continue;
    // With ribs that are cut for it: sheet and strips let them be smaller.
    std::vector<SparLine> spars = sparLines(changed, panel.shape.loft);
    const std::vector<Passing> passing = passingThrough(changed, panel.shape, spars);
    const Frame frame = cutFrame(changed, panel.shape, std::move(spars), passing);
    const auto twist = frameTwist(changed, panel.shape.loft, frame, panel.strength.twist->couple);
    if (!twist || twist->twist <= 0) continue;
    const double gain = panel.strength.twist->twist / twist->twist,
                 grams = gramsOf(builtParts(changed, panel.shape.loft, frame, panel.tip,
                                            skinsOf(changed, panel.shape.loft, frame))) +
                         gramsOf(partsOfSurfaces(changed, panel.shape.loft, frame,
                                                 surfacesOf(changed, panel.shape.loft, frame))) +
                         gramsOf(partsOfHardPoints(changed, panel.shape.loft, frame,
                                                   hardPointsOf(changed, panel.shape.loft, frame))) -
                         asBuilt;
    constexpr double nothing = 1e-6; // sheet that already reaches as far, by another rule
    if (std::abs(gain - 1) < nothing && std::abs(grams) < nothing) continue;
    out.push_back({way.what, way.change, twist->twist, gain, grams});
  }
  return out;
}

} // namespace eup
