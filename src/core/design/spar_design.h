// What is decided of spars, and of what stiffens a panel against twisting.
#pragma once
#include "core/design/frame_design.h"
#include "core/measure/limits.h"
#include "core/measure/units.h"
#include <algorithm>
#include <string>

namespace eup {

inline constexpr int mostSpars = 3; ///< a panel

enum class SparKind { caps, fullDepth };
inline constexpr std::array sparKindChoices{Choice{"caps", "caps"}, Choice{"fullDepth", "full-depth sheet"}};
static_assert(sparKindChoices.size() == wordsFor(SparKind::fullDepth));

enum class SlotFrom { above, below };
inline constexpr std::array slotChoices{Choice{"above", "from above"}, Choice{"below", "from below"}};
static_assert(slotChoices.size() == wordsFor(SlotFrom::below));

/// What closes the space between two caps: sheet from rib to rib; one sheet all along, the ribs in two pieces before
/// and behind it; or a core as wide as the caps, of foam or soft wood.
enum class Webs { none, between, continuous, core };
inline constexpr std::array websChoices{Choice{"none", "none"}, Choice{"between", "between the ribs"},
                                        Choice{"continuous", "all along, ribs in two"},
                                        Choice{"core", "a full-width core"}};
static_assert(websChoices.size() == wordsFor(Webs::core));

/// Where webs from rib to rib stand: between the caps, or glued on the front or rear faces of both.
enum class WebsOn { between, front, rear };
inline constexpr std::array websOnChoices{Choice{"between", "between the caps"}, Choice{"front", "on their front"},
                                          Choice{"rear", "on their rear"}};
static_assert(websOnChoices.size() == wordsFor(WebsOn::rear));

enum class Grain { upright, along };
inline constexpr std::array grainChoices{Choice{"upright", "upright"}, Choice{"along", "along the spar"}};
static_assert(grainChoices.size() == wordsFor(Grain::along));

enum class CapShape { strip, rod, tube };
inline constexpr std::array capShapeChoices{Choice{"strip", "strip"}, Choice{"rod", "rod"}, Choice{"tube", "tube"}};
static_assert(capShapeChoices.size() == wordsFor(CapShape::tube));

/// Where along its spar, as a share of its length, a cap may change, end, or lose its doubler.
inline constexpr Limits alongCap{0.02, 0.98};

struct Cap {
  bool fitted = true;
  CapShape shape = CapShape::strip;
  double width = 6, depth = 3; ///< the depth of a rod or a tube is its diameter; it lies in a square notch
  double wall = 0.5;           ///< a tube's
  std::string material = "spruce";
  bool tapers = false; ///< towards the spar's outer end
  double tipWidth = 4, tipDepth = 2;
  double taperFrom = 0;   ///< of the spar's length: it is parallel up to there
  bool changes = false;   ///< of another material from there on
  double changesAt = 0.5; ///< of the spar's length
  std::string thenMaterial = "balsa-160";
  bool doubled = false;   ///< a strip: with another one of the same wood and width on its inner side
  double doubledTo = 0.4; ///< of the spar's length, from its inner end
  double doubler = 2;     ///< depth of that strip
  bool drops = false;     ///< it ends there, and the other cap goes on
  double dropsAt = 0.7;   ///< of the spar's length
  bool operator==(const Cap&) const = default;
};

struct Spar {
  std::string name = "main spar";
  SparKind kind = SparKind::caps;
  double rootFraction = 0.30, tipFraction = 0.30; ///< of its centre line
  Cap top, bottom;                                ///< SparKind::caps
  double sheet = 3;                               ///< SparKind::fullDepth: thickness of the sheet
  SlotFrom ribSlot = SlotFrom::above;             ///< SparKind::fullDepth: where the rib's slot opens
  std::string sheetMaterial = "balsa-160";        ///< SparKind::fullDepth
  double cutShort = 0;                            ///< SparKind::fullDepth: mm that it was cut too shallow
  bool shortBelow = false;                        ///< along its lower edge; else its upper one
  bool rescued = false;                           ///< what is missing is closed with a strip, or with webs
  Webs webs = Webs::none;                         ///< SparKind::caps with both
  WebsOn websOn = WebsOn::between;                ///< Webs::between
  double webShort = 0.5;                          ///< on the caps' faces: so far short of their outer edges
  double webThickness = 1.5;                      ///< not of a core
  Grain webGrain = Grain::upright;                ///< not of a core
  std::string webMaterial = "balsa-160";
  bool stops = false;   ///< before the panel's tip
  double stopsAt = 400; ///< mm of the panel's span from its root
  int number = 0;       ///< its own for good, from 1; 0 while it has none (see lasting.h)
  bool operator==(const Spar&) const = default;
};

/// A cap as it is `share` of the way from its spar's inner end to its outer; not fitted where it has ended.
inline Cap capAt(const Cap& cap, double share) {
  Cap here = cap;
  here.fitted = cap.fitted && !(cap.drops && share > cap.dropsAt);
  if (cap.changes && share > cap.changesAt) here.material = cap.thenMaterial;
  if (cap.shape != CapShape::strip) {
    here.width = here.depth;
    return here;
  }
  if (cap.tapers) {
    const double s = std::clamp((share - cap.taperFrom) / (1 - cap.taperFrom), 0.0, 1.0);
    here.width += (cap.tipWidth - cap.width) * s;
    here.depth += (cap.tipDepth - cap.depth) * s;
  }
  here.doubled = false; // it is in the depth now
  if (cap.doubled && share <= cap.doubledTo) here.depth += cap.doubler;
  return here;
}

/// How far along its spar a cap reaches, as a share of its length.
inline double reachOf(const Cap& cap) {
  return cap.drops ? cap.dropsAt : 1;
}

/// Bore of a tube, 0 for what is solid.
inline double boreOf(const Cap& cap) {
  return cap.shape == CapShape::tube ? std::max(cap.depth - 2 * cap.wall, 0.0) : 0;
}
/// Cross-section of a cap as it is somewhere along its spar (see `capAt`), mm².
inline double capArea(const Cap& cap) {
  if (cap.shape == CapShape::strip) return cap.width * cap.depth;
  return pi / 4 * (cap.depth * cap.depth - boreOf(cap) * boreOf(cap));
}

/// A sheet spar that was cut too shallow along the edge at which the ribs' slots are open takes one strip all along,
/// through all slots; along its other edge, webs from rib to rib.
inline bool rescuedByStrip(const Spar& spar) {
  return spar.kind == SparKind::fullDepth && spar.cutShort > 0 && spar.rescued &&
         spar.shortBelow == (spar.ribSlot == SlotFrom::below);
}
/// How far its sheet stays inside its seat, above (`upper`) or below.
inline double missingOf(const Spar& spar, bool upper) {
  return spar.kind == SparKind::fullDepth && upper != spar.shortBelow ? spar.cutShort : 0;
}

/// How wide what stands between the caps is; 0 for nothing.
inline double webWidthAt(const Spar& spar, double share) {
  if (spar.kind != SparKind::caps || spar.webs == Webs::none) return 0;
  const Cap top = capAt(spar.top, share), bottom = capAt(spar.bottom, share);
  if (!top.fitted || !bottom.fitted) return 0;
  return spar.webs == Webs::core ? std::min(top.width, bottom.width) : spar.webThickness;
}

/// Bars across the bays between the first spar and what runs next behind it.
enum class Diagonals { none, oneWay, crossed, zigzag };
inline constexpr std::array diagonalsChoices{Choice{"none", "none"}, Choice{"oneWay", "one a bay"},
                                             Choice{"crossed", "two a bay, crossed"}, Choice{"zigzag", "zigzag"}};
static_assert(diagonalsChoices.size() == wordsFor(Diagonals::zigzag));

enum class DiagonalPlane { top, bottom, both, sloping };
inline constexpr std::array diagonalPlaneChoices{Choice{"top", "along the top"},
                                                 Choice{"bottom", "along the underside"}, Choice{"both", "along both"},
                                                 Choice{"sloping", "from top to underside"}};
static_assert(diagonalPlaneChoices.size() == wordsFor(DiagonalPlane::sloping));

inline constexpr const char* uncovered = "none";

/// Which faces are covered: a single surface has one.
enum class CoveringOn { both, top, below };
inline constexpr std::array coveringOnChoices{Choice{"both", "both faces"}, Choice{"top", "the top alone"},
                                              Choice{"below", "the underside alone"}};
static_assert(coveringOnChoices.size() == wordsFor(CoveringOn::below));

/// What stiffens a panel against twisting, beside its spars, ribs, edges and sheet.
struct Stiffening {
  Diagonals diagonals = Diagonals::none;
  DiagonalPlane plane = DiagonalPlane::sloping; ///< sloping: from the spar's top to the underside behind it
  int firstBay = 1, lastBay = mostRibs;         ///< counted from the panel's root
  double width = 3, depth = 3;
  std::string material = "balsa-160";
  std::string covering = uncovered;
  CoveringOn coveringOn = CoveringOn::both;
  double dope = 0; ///< dope, resin or paste, dry, to covering by weight, where the covering's own mass is without it
  /// How many faces are covered, of those two.
  int covers(bool top, bool below) const {
    return (top && coveringOn != CoveringOn::below ? 1 : 0) + (below && coveringOn != CoveringOn::top ? 1 : 0);
  }
  bool operator==(const Stiffening&) const = default;
};

} // namespace eup
