// Sections drawn from a few numbers (declared in section_choice.h).
#include "core/measure/units.h"
#include "core/section/naca.h"
#include "core/section/section_choice.h"
#include <algorithm>
#include <cmath>

namespace eup {
namespace {

constexpr int stepsOfOutline = 500;

/// Puts the foremost point at (0,0) and the middle of the trailing edge at (1,0).
Section normalised(Polyline upper, Polyline lower) {
  const Point le = upper.front(), te = (upper.back() + lower.back()) / 2, along = te - le;
  const double l2 = along.squaredNorm();
  const auto move = [&](Polyline& line) {
    for (Point& p : line) {
      const Point d = p - le;
      p = Point(d.dot(along), along.x() * d.y() - along.y() * d.x()) / l2;
    }
    line.back().x() = 1;
  };
  move(upper);
  move(lower);
  return sectionFromCurves({}, upper, lower);
}

/// Nose arc of radius r that runs into a flat underside; over it a curve √x-born at the same radius, level at its
/// highest point.
Section flatUnderside(const DrawnNumbers& n) {
  const double r = n.noseRadius, p = n.thicknessAt, t = n.thickness, a0 = std::sqrt(2 * r);
  // y = r + a0√x + a1 x + a2 x² + a3 x³ with y(p) = t, y'(p) = 0, y(1) = tail.
  const double rise = t - r - a0 * std::sqrt(p), level = -a0 / (2 * std::sqrt(p)), end = n.tail - r - a0;
  // a1 p + a2 p² + a3 p³ = rise; a1 + 2 a2 p + 3 a3 p² = level; a1 + a2 + a3 = end.
  // Eliminated: a1 = level − 2 a2 p − 3 a3 p²; then two equations in a2, a3.
  const double b1 = rise - level * p, b2 = end - level;
  const double m11 = -p * p, m12 = -2 * p * p * p, m21 = 1 - 2 * p, m22 = 1 - 3 * p * p;
  const double det = m11 * m22 - m12 * m21;
  const double a2 = (b1 * m22 - b2 * m12) / det, a3 = (m11 * b2 - m21 * b1) / det;
  const double a1 = level - 2 * a2 * p - 3 * a3 * p * p;
  Polyline upper, lower;
  for (int i = 0; i <= stepsOfOutline; ++i) {
    const double x = std::pow(static_cast<double>(i) / stepsOfOutline, 2);
    upper.emplace_back(x, std::max(n.tail / 2, r + a0 * std::sqrt(x) + x * (a1 + x * (a2 + x * a3))));
  }
  for (int i = 0; i <= 60; ++i) {
    const double angle = pi + pi / 2 * i / 60;
    lower.emplace_back(r + r * std::cos(angle), r + r * std::sin(angle));
  }
  for (int i = 1; i <= stepsOfOutline; ++i) lower.emplace_back(r + (1 - r) * i / stepsOfOutline, 0);
  return normalised(std::move(upper), std::move(lower));
}

Section flatPlate(const DrawnNumbers& n) {
  const double half = n.plate / 2;
  Polyline upper, lower;
  const auto depth = [&](double x) {
    double h = half;
    if (n.nose == PlateNose::round) {
      if (x < half) h = std::sqrt(std::max(0.0, half * half - (half - x) * (half - x)));
    } else if (x < n.wedge) {
      h = half * x / n.wedge;
    }
    if (n.tailTaper > 0 && x > 1 - n.tailTaper) {
      constexpr double left = 0.15; // of the plate's depth stays at the trailing edge: an edge that can be sanded
      h = std::min(h, half * (left + (1 - left) * (1 - x) / n.tailTaper));
    }
    return h;
  };
  for (int i = 0; i <= 4 * stepsOfOutline; ++i) {
    const double x = std::pow(static_cast<double>(i) / (4 * stepsOfOutline), 2);
    upper.emplace_back(x, depth(x));
    lower.emplace_back(x, -depth(x));
  }
  return sectionFromCurves({}, upper, lower);
}

/// Depth laid off square to the middle line, half of it each side, with a half-round nose.
Section curvedPlate(const DrawnNumbers& n) {
  const double c = n.camber, p = n.camberAt, half = n.plate / 2;
  const auto middle = [&](double x) -> std::pair<Point, double> { // point and slope angle
    if (n.curve == PlateCurve::arc) {
      if (c < 1e-9) return {{x, 0}, 0};
      const double radius = (0.25 + c * c) / (2 * c), sine = (0.5 - x) / radius;
      return {{x, std::sqrt(std::max(0.0, radius * radius - (x - 0.5) * (x - 0.5))) - radius + c}, std::asin(sine)};
    }
    if (x < p) return {{x, c / (p * p) * (2 * p * x - x * x)}, std::atan(2 * c / (p * p) * (p - x))};
    const double q = (1 - p) * (1 - p);
    return {{x, c / q * (1 - 2 * p + 2 * p * x - x * x)}, std::atan(2 * c / q * (p - x))};
  };
  Polyline upper, lower;
  const auto [start, angle] = middle(0);
  for (int i = 0; i < 60; ++i) {
    const double turn = pi / 2 * i / 60; // from the foremost point of the half round, away from the plate
    upper.push_back(start + half * Point(std::cos(angle + pi - turn), std::sin(angle + pi - turn)));
    lower.push_back(start + half * Point(std::cos(angle + pi + turn), std::sin(angle + pi + turn)));
  }
  for (int i = 0; i <= stepsOfOutline; ++i) {
    const auto [m, a] = middle(static_cast<double>(i) / stepsOfOutline);
    const Point square(-std::sin(a), std::cos(a));
    upper.push_back(m + half * square);
    lower.push_back(m - half * square);
  }
  return normalised(std::move(upper), std::move(lower));
}

} // namespace

Section makeDrawn(SectionKind kind, const DrawnNumbers& n) {
  switch (kind) {
  case SectionKind::flatUnderside:
    return flatUnderside(n);
  case SectionKind::flatPlate:
    return flatPlate(n);
  case SectionKind::curvedPlate:
    return curvedPlate(n);
  default:
    break;
  }
  Naca plain;
  plain.digits = "0000";
  plain.thickness = n.thickness;
  return makeNaca(plain);
}

} // namespace eup
