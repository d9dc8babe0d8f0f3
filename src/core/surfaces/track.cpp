#include "core/surfaces/track.h"
#include "core/geometry/polyline.h"
#include <cmath>

namespace eup {

Track::Track(const Slide& slide) : decided(slide) {
  // −down = linear × aft + square × aft², at both places.
  const double m = slide.midAft, e = slide.endAft, a = -slide.midDown / m, b = -slide.endDown / e;
  square = (b - a) / (e - m);
  linear = a - square * m;
}

double Track::height(double aft) const {
  return aft <= 0 ? linear * aft : linear * aft + square * aft * aft;
}

double Track::slope(double aft) const {
  return aft <= 0 ? linear : linear + 2 * square * aft;
}

TrackPlace Track::at(double aft) const {
  TrackPlace out;
  out.rear = {aft, height(aft)};
  double low = aft - decided.pinsApart, high = aft; // the front pin is no farther ahead than that
  for (int i = 0; i < 60; ++i) {
    const double x = (low + high) / 2;
    ((Point(x, height(x)) - out.rear).norm() > decided.pinsApart ? low : high) = x;
  }
  out.front = {high, height(high)};
  const Point way = out.rear - out.front;
  out.turn = std::atan(linear) - std::atan2(way.y(), way.x());
  return out;
}

Polyline Track::line() const {
  Polyline out;
  const double from = at(0).front.x(), to = decided.endAft;
  constexpr int steps = 60;
  for (int i = 0; i <= steps; ++i) {
    const double x = from + (to - from) * i / steps;
    out.emplace_back(x, height(x));
  }
  return out;
}

double Track::length() const {
  return lengthOf(line());
}

Region Track::slot() const {
  return bandAlong(line(), decided.pin / 2 + decided.lining);
}

Region Track::lining() const {
  return subtract(slot(), bandAlong(line(), decided.pin / 2));
}

} // namespace eup
