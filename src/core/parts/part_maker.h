// How the trades of a panel tell their parts: what is common to pieces that stand in one place, run along the span, or
// lie on a straight line.
#pragma once
#include "core/assembly/part.h"
#include "core/parts/panel_parts.h"
#include "core/parts/spar_sheets.h"
#include <functional>

namespace eup {

/// Of something that runs along the span, at one place of it.
struct Slice {
  double volume = 0; ///< mm³ a mm of span (of a covering: mm² a mm)
  Point at{0, 0};    ///< (x, z) of its middle
};

/// Collects the parts of one panel.
class PartMaker {
public:
  PartMaker(const PanelBrief& brief, const PanelLoft& panelLoft, const Frame& frame)
      : d(brief), loft(panelLoft), spars(frame.spars), ribs(frame.ribs), riblets(frame.riblets), hinges(frame.hinges) {}
  std::vector<Part> out;

  static Part piece(PieceId id, std::string name, std::string material);
  /// Stands in one place.
  void add(Part part);
  /// What runs along the span, or from one place of it to another, by its slices at every rib, straight between them;
  /// `weight` is grams of one unit of them.
  void addRunning(Part part, double weight, const std::function<Slice(const Rib&)>& sliceAt, double begins = 0,
                  double ends = 1e9);
  /// What runs along a straight line between two places of the span, its slice a polynomial of at most the second
  /// degree on either side of `bend`: exactly (Simpson's rule).
  void addStraight(Part part, double from, double to, const std::function<Slice(double t)>& sliceAt, double bend = 0);
  /// Makes a straight strip longer by what its longest edge is more than its middle line from rib plane to rib plane,
  /// because its ends meet the planes of the joins: `deep` is its depth. Less where it lies above the chord line.
  void reachJoins(Part& part, const Point3& from, const Point3& to, double deep) const;
  /// Shares a part's grams out over the bays as `weight` runs there.
  void spread(Part& part, double from, double to, const std::function<double(double)>& weight) const;

  double heavy(const std::string& material) const { return d.tables.named(material).density * 1e-6; } // g/mm³
  double tOf(const Rib& rib) const { return std::clamp(rib.t(), 0.0, loft.span()); }
  double depthAt(const Rib& rib, double x) const;
  /// Half way between the faces, so far behind the nose.
  Point middleAt(const Rib& rib, double x) const;
  /// The greatest depth of the section so far behind the nose, or before the tail.
  double deepest(double x, bool fromTail) const;
  /// Along an edge of the panel from its root to its tip.
  double edgeLength(bool leading) const;

  const PanelBrief& d;
  const PanelLoft& loft;
  const std::vector<SparLine>& spars;
  const std::vector<Rib>& ribs;
  const std::vector<Rib>& riblets;
  const std::vector<HingeLine>& hinges;
};

/// Of what a rib or riblet has: itself, its tail, its cap strips.
PieceId idOf(PieceKind kind, const Rib& rib);

/// A rib or riblet, and its cap strips.
void addRibParts(PartMaker& maker, const Rib& rib);
/// Of a stick rib: each strip, bar, block and its gussets.
void addStickParts(PartMaker& maker, const Rib& rib);
void addEdgeParts(PartMaker& maker);
/// Covering; sheet is told with the skins.
void addSkinParts(PartMaker& maker);
/// Caps, doublers and webs, or a sheet spar.
void addSparParts(PartMaker& maker, const SparLine& line);
/// Bars from the first spar to the next line behind it.
void addDiagonalParts(PartMaker& maker);
/// What fills the bays between ribs, where that is decided: as large as the ribs there, what stands in the bay taken
/// off. Last: it asks for the webs.
void addFoamBetween(PartMaker& maker);
void addTipParts(PartMaker& maker, const TipShape& tip);

} // namespace eup
