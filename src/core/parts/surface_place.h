// A place on a panel's surface: on one face, from one line that runs along the span to another, between two places of
// the span. What lies on the frame is told as such a place: the zones that are skinned.
#pragma once
#include "core/loft/panel_loft.h"
#include "core/loft/straight_line.h"
#include <array>
#include <optional>
#include <vector>

namespace eup {

/// A line that runs along the span: at every place of the span it has a chord fraction. It borrows the design and the
/// loft that it is made of.
class SurfaceLine {
public:
  static SurfaceLine atFraction(double fraction) { return SurfaceLine(fraction); }
  /// The front (−1), middle (0) or rear (+1) of a spar's wood on that face. The spar is there.
  static SurfaceLine atSpar(const PanelBrief& design, const PanelLoft& loft, int index, Face face, int side);

  /// So far behind the leading edge along the chord line, or before the trailing edge, mm.
  static SurfaceLine behindNose(const PanelLoft& loft, double mm);
  static SurfaceLine beforeTail(const PanelLoft& loft, double mm);

  /// So far behind a straight line of the panel along the chord line, mm: (t, mm) at three rising places of the span.
  static SurfaceLine beside(const PanelLoft& loft, const StraightLine& axis, const std::array<Point, 3>& aft);

  /// The same line, but nowhere ahead of `front` nor behind `rear`.
  SurfaceLine within(const SurfaceLine& front, const SurfaceLine& rear) const;

  /// In [0, 1].
  double at(double t) const;

private:
  struct Course {
    double fraction = 0;
    const PanelLoft* loft = nullptr;
    const Spar* spar = nullptr;
    double side = 0; ///< of the spar
    Face face = Face::upper;
    double end = 0; ///< mm of span where the spar ends
    double aft = 0; ///< mm behind the leading edge; before the trailing edge when negative
    std::optional<StraightLine> axis;
    std::array<Point, 3> behind{}; ///< it: (t, mm)
    double at(double t) const;
  };
  struct Bound {
    bool front = false;
    Course course;
  };
  explicit SurfaceLine(double constant) { own.fraction = constant; }
  Course own;
  std::vector<Bound> bounds; ///< the last one holds against those before
};

struct SurfacePlace {
  Face face = Face::upper;
  SurfaceLine from, to;
  double inner = 0, outer = 0; ///< mm of the panel's span
  /// Between its two lines, which run on past the panel's ends, as turned ribs do.
  bool isBetween(double fraction, double t) const {
    constexpr double hair = 1e-9;
    return fraction >= from.at(t) - hair && fraction <= to.at(t) + hair;
  }
};

/// Where a spar ends, mm of the panel's span.
double endOf(const PanelBrief& design, const Spar& spar);

/// The nose sheet of a face, from the leading edge; nothing where there is none.
std::optional<SurfacePlace> noseSheet(const PanelBrief& design, const PanelLoft& loft, Face face);
/// What a run of sheeted bays covers on a face, behind the nose sheet (or the leading edge's stock) and before the
/// trailing edge's stock; nothing where it is not on that face or no rib is there to end on.
std::optional<SurfacePlace> sheetedPlace(const PanelBrief& design, const PanelLoft& loft, const SheetedBays& bays,
                                         Face face);
/// One zone of a panel that is skinned.
struct Zone {
  enum class What { nose, bays, tail } what = What::nose;
  int run = 0; ///< of What::bays: which of them, from 0
  SkinSheet of;
  SurfacePlace place;
};
/// All zones, top before bottom: the nose sheet, sheeted bays, the sheets of a trailing edge of two.
std::vector<Zone> zonesOf(const PanelBrief& design, const PanelLoft& loft);

/// The chord fraction where the nose sheet ends at t; 0 when that face has none.
double sheetEdgeAt(const PanelBrief& design, const PanelLoft& loft, Face face, double t);
/// Thickness of what covers the rib at a chord fraction of a face: sheet, cap strip or nothing.
double coverAt(const PanelBrief& design, const PanelLoft& loft, Face face, double fraction, double t);

} // namespace eup
