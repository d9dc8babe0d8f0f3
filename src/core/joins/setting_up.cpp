#include "core/joins/setting_up.h"
#include "core/geometry/polyline.h"
#include "core/section/measured.h"
#include <algorithm>
#include <cmath>

namespace eup {
namespace {

/// A straightedge under the section must bear at least this far apart (chord fraction) for it to be called flat.
constexpr double leastFlat = 0.3;

double longestBearing(const Section& section) {
  double longest = 0;
  const Polyline hull = lowerHull(section.lower);
  for (std::size_t i = 1; i < hull.size(); ++i) longest = std::max(longest, (hull[i] - hull[i - 1]).norm());
  return longest;
}

/// The underside of one rib's cut over the board.
struct Underside {
  const Cut& cut;
  Placement turn;
  double board;

  /// Straight under a place of the chord line, as it is drawn on the plan.
  Support at(std::string line, double chordX) const {
    const auto point = [&](double x) {
      const double planAt = cut.frame.fromChord({x, 0}).x();
      return turn(Point(planAt, surfaceHeightAt(cut, Face::lower, planAt)));
    };
    const double step = 0.01 * cut.frame.chord; // either way: the slope that a strip lying there takes
    const Point a = point(chordX - step), b = point(std::min(chordX + step, cut.frame.chord));
    return {std::move(line), chordX, point(chordX).y() - board, std::atan2(b.y() - a.y(), b.x() - a.x())};
  }
};

} // namespace

SettingUp settingUp(const PanelBrief& d, const PanelLoft& loft, const Section& root, const std::vector<SparLine>& spars,
                    const std::vector<Rib>& ribs) {
  SettingUp out;
  out.datum = d.join.datum;
  if (out.datum == Datum::undersideFlat) {
    if (longestBearing(root) >= leastFlat) {
      out.turn = measure(root).undersideAngle + degToRad(d.panel.rootWashoutDeg);
    } else {
      out.datum = Datum::chordLevel;
      out.fellBack = true;
    }
  }
  const Placement turn{-out.turn, {0, 0}};
  double board = 1e300;
  for (double t : {0.0, loft.span()})
    for (const Point& p : outlineOf(loft.cutAt(t))) board = std::min(board, turn(p).y());
  for (const Rib& rib : ribs) {
    const Cut cut = loft.cutAt(rib.t());
    const Underside under{cut, turn, board};
    RibSupports supports{rib.number, {}};
    supports.at.push_back({"LE", 0, turn(cut.frame.le).y() - board, std::nullopt});
    for (const SparLine& line : spars)
      supports.at.push_back(under.at(d.spars[static_cast<std::size_t>(line.index)].name, line.chordX(rib.frame)));
    if (d.trailingEdge.kind != TrailingEdgeKind::none)
      supports.at.push_back(under.at("TE front", rib.frame.chord - d.trailingEdge.width));
    supports.at.push_back(under.at("TE", rib.frame.chord));
    out.ribs.push_back(std::move(supports));
  }
  return out;
}

} // namespace eup
