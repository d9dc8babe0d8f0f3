// Each bay of a spar, from rib to rib: what its caps and webs have in reserve, and what would give first. N, mm, MPa.
#pragma once
#include "core/parts/frame.h"
#include "core/strength/d_box.h"
#include "core/strength/loads.h"
#include "core/strength/sheet_skin.h"

namespace eup {

/// Euler's stress of a strut that is hinged at both ends, π² E r² ÷ l², r its radius of gyration. All > 0.
double eulerStress(double modulus, double radius, double length);

/// Strength over stress that builders of model wings want at least: common practice.
inline constexpr double usualReserve = 1.5;

struct BayCheck {
  enum class What {
    compression,
    tension,
    buckling, ///< of a pressed cap
    web,
    webBuckling,
    glue,         ///< along the web's edges
    leadingEdge,  ///< bent with the wing
    trailingEdge, ///< likewise
    sheet,        ///< that carries bending
    sheetBuckling,
    sheetTwist,         ///< of a closed nose that a dive twists
    sheetTwistBuckling, ///< likewise
    brace,              ///< in the bay at the join, as are the next four
    braceGlue,
    joiner,
    socket, ///< the joiner pressed by it
    ribs    ///< crushed by the joiner
  } what = What::compression;
  double stress = 0, strength = 0;
  LoadCase::What load = LoadCase::What::pull; ///< the one that it is of
  bool onCore = false; ///< it wrinkles on what it is glued to, however long the bay: else it buckles from rib to rib
  /// Of the spar itself and what it bends with: what its size and wood decide.
  bool ofSpar() const { return what < What::leadingEdge || what == What::sheet || what == What::sheetBuckling; }
  double reserve() const { return stress > 0 ? strength / stress : 1e9; }
};

const char* wordsOf(const BayCheck& check);

struct SparBay {
  int spar = 0; ///< index
  int bay = 1;  ///< counted from the panel's root; between its rib and the next
  double from = 0, to = 0;
  std::vector<BayCheck> checks; ///< of each kind the one with least in reserve, of all loads
  /// What has least in reserve; null for a bay that the spar does not reach.
  const BayCheck* weakest() const;
};

/// Keeps a check in the bay, unless one of its kind there has less in reserve.
void keep(SparBay& bay, const BayCheck& check);

/// Bending and shear are those at the bay's inner end, or where a cap ends in it, shared by stiffness among the spars
/// there. A cap is taken for a strut from rib to rib: held upright by a web, and along the chord by sheet that lies on
/// it; held both ways it cannot buckle; nor can one that has no other cap, which is bent and not pressed. Caps without
/// webs between them are reckoned as if ribs carried the shear. A web's edges are glued over their own thickness to
/// caps or ribs: the weaker of the woods and the glue. A sheet web buckles as a plate hinged all round; a core does
/// not, its caps wrinkle on it. The edges' strips are bent with the first spar that is there, sheet that carries with
/// the first of all, and they belong to its bays. `only`: the bays of that spar (index) alone, with what is `ofSpar`,
/// for a search that tries many.
std::vector<SparBay> bayChecks(const PanelBrief& design, const PanelLoft& loft, const Frame& frame,
                               const SheetSkin& skin, const std::vector<LoadCase>& cases, std::optional<int> only = {});

/// Shear of a closed nose's sheet under a torque (N·mm, either way) that the nose takes alone, T ÷ (2 A t), against the
/// sheet's strength and against buckling between ribs that far apart, each face as a flat plate from nose to web: it is
/// bent and holds more. Grain along the span.
void checkTwistedSheet(const PanelBrief& design, const NoseBox& box, double torque, double length, SparBay& bay);

} // namespace eup
