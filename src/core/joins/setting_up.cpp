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

/// The underside of one rib's cut, turned so that z is height over the board less a constant.
struct Underside {
  const Cut& cut;
  Placement turn;
  double board;

  Support at(std::string line, double chordX) const {
    const Polyline& face = cut.lower;
    // Along the chord line, then straight down in chord axes to the surface.
    double low = 0, high = static_cast<double>(face.size() - 1);
    for (int i = 0; i < 60; ++i) {
      const double mid = (low + high) / 2;
      (cut.frame.toChord(point(mid)).x() < chordX ? low : high) = mid;
    }
    Support s{std::move(line), chordX, turn(point(low)).y() - board, std::nullopt};
    const double step = 0.01 * cut.frame.chord;
    const auto segmentAt = [&](double x) {
      for (std::size_t i = 1; i < face.size(); ++i)
        if (cut.frame.toChord(face[i]).x() >= x) return turn(pointAt(face, {i - 1, share(i, x)}));
      return turn(face.back());
    };
    const Point a = segmentAt(chordX - step), b = segmentAt(std::min(chordX + step, cut.frame.chord));
    s.slope = std::atan2(b.y() - a.y(), b.x() - a.x());
    return s;
  }

private:
  Point point(double index) const {
    const auto i = static_cast<std::size_t>(std::min(index, static_cast<double>(cut.lower.size() - 2)));
    return lerp(cut.lower[i], cut.lower[i + 1], index - static_cast<double>(i));
  }
  double share(std::size_t i, double x) const {
    const double a = cut.frame.toChord(cut.lower[i - 1]).x(), b = cut.frame.toChord(cut.lower[i]).x();
    return b > a ? std::clamp((x - a) / (b - a), 0.0, 1.0) : 1.0;
  }
};

} // namespace

SettingUp settingUp(const Design& d, const PanelLoft& loft, const Section& root, const std::vector<SparLine>& spars,
                    const std::vector<Rib>& ribs) {
  SettingUp out;
  out.datum = d.join.datum;
  if (out.datum == Datum::undersideFlat) {
    if (longestBearing(root) >= leastFlat) {
      out.turn = measure(root).undersideAngle;
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
      supports.at.push_back(under.at(d.spars[static_cast<std::size_t>(line.index)].name,
                                     line.fractionAt(rib.t(), loft) * rib.frame.chord));
    if (d.trailingEdge.kind != TrailingEdgeKind::none)
      supports.at.push_back(under.at("TE front", rib.frame.chord - d.trailingEdge.width));
    supports.at.push_back(under.at("TE", rib.frame.chord));
    out.ribs.push_back(std::move(supports));
  }
  return out;
}

} // namespace eup
