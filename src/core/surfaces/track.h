// The slot in which a flap slides aft as it goes down: a curve through places that are decided, and two pins that ride
// in it. Plane, mm: x aft and y up from where the rear pin stands at rest.
#pragma once
#include "core/design/surface_design.h"
#include "core/geometry/region.h"

namespace eup {

/// The flap so far along: where its rear pin is, and how far it has turned, trailing edge down positive, rad.
struct TrackPlace {
  Point rear{0, 0}, front{0, 0};
  double turn = 0;
};

/// Whether a surface slides in a track that can be: its places follow each other.
inline bool slides(const Surface& s) {
  return s.kind == SurfaceKind::flap && s.slide.fitted && s.slide.midAft > 0 && s.slide.endAft > s.slide.midAft + 0.1;
}

class Track {
public:
  /// `midAft` lies between 0 and `endAft`; `pinsApart` > 0.
  explicit Track(const Slide& slide);
  /// Of the curve: a parabola through the three places, and straight on before them.
  double height(double aft) const;
  double slope(double aft) const;
  /// With the rear pin so far aft, 0 to the end.
  TrackPlace at(double aft) const;
  /// The slot's middle line from the front pin at rest to the rear one at the end.
  Polyline line() const;
  double length() const;
  /// What is cut: as wide as pin and lining; and the lining alone.
  Region slot() const;
  Region lining() const;

private:
  Slide decided;
  double linear = 0, square = 0; ///< height = linear × aft + square × aft²
};

} // namespace eup
