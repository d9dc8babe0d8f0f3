#include "core/section/measured.h"
#include "core/geometry/polyline.h"
#include "core/section/naca.h"
#include <algorithm>
#include <array>
#include <boost/math/tools/minima.hpp>
#include <cmath>
#include <Eigen/Cholesky>
#include <fmt/format.h>
#include <map>

namespace eup {
namespace {

/// The peak of a sampled curve by the parabola through its highest sample and the two beside it.
struct Peak {
  double at, height;
};

Peak peakOf(const std::vector<double>& x, const std::vector<double>& y) {
  const auto i = static_cast<std::size_t>(std::max_element(y.begin(), y.end()) - y.begin());
  if (i == 0 || i + 1 == y.size()) return {x[i], y[i]};
  const double a = x[i] - x[i - 1], b = x[i + 1] - x[i];
  if (a <= 0 || b <= 0) return {x[i], y[i]};
  const double left = (y[i] - y[i - 1]) / a, right = (y[i + 1] - y[i]) / b;
  const double bend = (right - left) / (a + b);
  if (bend >= 0) return {x[i], y[i]};
  const double slope = (left * b + right * a) / (a + b);
  const double step = std::clamp(-slope / (2 * bend), -a, b);
  return {x[i] + step, y[i] + slope * step + bend * step * step};
}

/// The first points of both surfaces: those before `x`, and of each at least so many. Those beside the very nose say
/// nothing until it is known which way the mean line begins.
std::array<Polyline, 2> firstPoints(const Polyline& upper, const Polyline& lower, double x, std::size_t least) {
  std::array<Polyline, 2> out;
  for (const bool above : {true, false}) {
    const Polyline& face = above ? upper : lower;
    constexpr double beside = 0.0015; // chord fractions
    Polyline& taken = out[above ? 0 : 1];
    for (std::size_t i = 1; i < face.size() && (taken.size() < least || face[i].x() < x); ++i)
      if (face[i].x() > beside) taken.push_back(face[i]);
  }
  return out;
}

/// How points near the nose lie, when its mean line begins turned by so much.
struct NoseFit {
  double root = 0;  ///< α: the half depth begins with α √ξ
  double error = 0; ///< sum of squares
};

NoseFit fitNose(const std::array<Polyline, 2>& near, double turn) {
  using Terms = Eigen::Matrix<double, 6, 1>;
  const Placement back{-turn, {0, 0}};
  double widest = 0; // so that all terms are of one size
  for (const Polyline& face : near)
    for (const Point& p : face) widest = std::max(widest, back(p).x());
  if (widest <= 0) return {0, 1e300};
  Eigen::Matrix<double, 6, 6> squares = Eigen::Matrix<double, 6, 6>::Zero();
  Terms right = Terms::Zero();
  double heights = 0;
  for (const bool upper : {true, false})
    for (const Point& p : near[upper ? 0 : 1]) {
      const Point q = back(p);
      const double w = std::sqrt(std::max(q.x(), 0.0) / widest), square = w * w, side = upper ? 1 : -1;
      Terms row;
      row << side * w, side * w * square, upper ? square : 0, upper ? 0 : square, upper ? square * square : 0,
          upper ? 0 : square * square;
      squares += row * row.transpose();
      right += row * q.y();
      heights += q.y() * q.y();
    }
  const Terms found = squares.ldlt().solve(right);
  if (!found.allFinite()) return {0, 1e300};
  return {found[0] / std::sqrt(widest), std::max(heights - found.dot(right), 0.0)};
}

/// Near the nose a section's half depth begins with √x, and its middle with x (as the thickness form and the mean lines
/// of NACA Report 460 do): with w = √ξ the surfaces are η = ±(α w + γ w³) + β w² + δ w⁴, β and δ of each its own, in
/// axes along the mean line's own beginning: the turn that this fits best. The circle of curvature at (0,0) has the
/// radius α² ÷ 2.
/// Nothing where they do not lie like that.
std::optional<Point> noseCentreThrough(const std::array<Polyline, 2>& near) {
  constexpr std::size_t unknowns = 6;
  const std::size_t many = near[0].size() + near[1].size();
  if (many <= unknowns) return std::nullopt;
  constexpr double steepest = 0.5; // rad
  constexpr int looks = 8, digits = 16;
  double best = 0;
  for (int k = -looks; k <= looks; ++k)
    if (const double turn = steepest * k / looks; fitNose(near, turn).error < fitNose(near, best).error) best = turn;
  const double step = steepest / looks;
  best = boost::math::tools::brent_find_minima([&](double turn) { return fitNose(near, turn).error; }, best - step,
                                               best + step, digits)
             .first;
  constexpr double off = 5e-5; // chord fractions, root mean square
  const auto [root, error] = fitNose(near, best);
  if (!(root > 0) || std::sqrt(error / static_cast<double>(many)) > off) return std::nullopt;
  return Point(std::cos(best), std::sin(best)) * (root * root / 2);
}

/// Centre of the circle through (0,0) that best fits points near it (least squares on x² + y² = 2ax + 2by): for a nose
/// that is not drawn by such a form, a plate's rounded edge.
Point plainNoseCircle(const Section& s) {
  constexpr double guessed = 0.004; // chord fractions
  double xx = 0, xy = 0, yy = 0, xr = 0, yr = 0;
  for (const Polyline* face : {&s.upper, &s.lower})
    for (std::size_t i = 1; i < face->size() && (*face)[i].x() < guessed; ++i) {
      const Point& p = (*face)[i];
      const double r = p.squaredNorm() / 2;
      xx += p.x() * p.x(), xy += p.x() * p.y(), yy += p.y() * p.y(), xr += p.x() * r, yr += p.y() * r;
    }
  const double det = xx * yy - xy * xy;
  return std::abs(det) < 1e-18 ? Point(0, 0) : Point((xr * yy - yr * xy) / det, (yr * xx - xr * xy) / det);
}

/// Of what is drawn, between the points that it is drawn by.
Point noseCircle(const Section& s) {
  constexpr double near = 0.03; // chord fractions
  const auto centre = noseCentreThrough(firstPoints(s.upper, s.lower, near, 8));
  return centre ? *centre : plainNoseCircle(s);
}

/// The longest run from point to point of the underside that stays within `flatWithin` of a straight line.
std::pair<double, double> flatRun(const Polyline& lower) {
  const auto straight = [&](std::size_t a, std::size_t b) {
    const Point d = lower[b] - lower[a];
    for (std::size_t i = a + 1; i < b; ++i)
      if (std::abs(lower[i].y() - lower[a].y() - d.y() * (lower[i].x() - lower[a].x()) / d.x()) > flatWithin)
        return false;
    return true;
  };
  std::pair<double, double> best{0, 0};
  std::size_t b = section_grid::noseSteps + 1;
  for (std::size_t a = section_grid::noseSteps; a + 1 < lower.size(); ++a) {
    b = std::max(b, a + 1);
    while (b + 1 < lower.size() && straight(a, b + 1)) ++b;
    if (lower[b].x() - lower[a].x() > best.second - best.first) best = {lower[a].x(), lower[b].x()};
  }
  return best;
}

} // namespace

double depthAt(const Section& section, double x) {
  return heightAt(section.upper, x) - heightAt(section.lower, x);
}

Point listedNoseCentre(const Polyline& upper, const Polyline& lower) {
  constexpr double near = 0.06;    // chord fractions
  constexpr std::size_t least = 4; // of a surface, where few are listed
  return noseCentreThrough(firstPoints(upper, lower, near, least)).value_or(Point(0, 0));
}

double rmsBetween(const Section& a, const Section& b) {
  double sum = 0, before = 0;
  for (int i = section_grid::noseSteps; i < section_grid::points; ++i) {
    const auto k = static_cast<std::size_t>(i);
    const double up = a.upper[k].y() - b.upper[k].y(), down = a.lower[k].y() - b.lower[k].y();
    const double square = (up * up + down * down) / 2;
    if (i > section_grid::noseSteps)
      sum += (square + before) / 2 * (section_grid::fraction(i) - section_grid::fraction(i - 1));
    before = square;
  }
  return std::sqrt(sum);
}

NearestFourDigit nearestFourDigit(const Section& section) {
  // From the measured numbers downhill, one digit at a time: thickness and camber pull apart, so there is one valley.
  const SectionMeasures m = measure(section);
  struct Digits {
    int camber, at, thickness;
    int key() const { return (camber * 10 + at) * 100 + thickness; }
  };
  std::map<int, double> tried;
  const auto rms = [&](Digits d) {
    if (const auto known = tried.find(d.key()); known != tried.end()) return known->second;
    Naca n;
    n.digits = "0000";
    n.camber = d.camber / 100.0;
    n.camberAt = d.camber ? d.at / 10.0 : 0;
    n.thickness = d.thickness / 100.0;
    return tried[d.key()] = rmsBetween(section, makeNaca(n));
  };
  Digits best{std::clamp(static_cast<int>(std::lround(m.camber * 100)), 0, 9),
              std::clamp(static_cast<int>(std::lround(m.camberAt * 10)), 1, 9),
              std::clamp(static_cast<int>(std::lround(m.thickness * 100)), 1, 40)};
  if (best.camber > 0 && m.camberAt < 0.05) best.at = 4;
  for (bool better = true; better;) {
    better = false;
    const Digits from = best;
    for (Digits next :
         {Digits{from.camber + 1, from.at, from.thickness}, Digits{from.camber - 1, from.at, from.thickness},
          Digits{from.camber, from.at + 1, from.thickness}, Digits{from.camber, from.at - 1, from.thickness},
          Digits{from.camber, from.at, from.thickness + 1}, Digits{from.camber, from.at, from.thickness - 1}}) {
      if (next.camber < 0 || next.camber > 9 || next.at < 1 || next.at > 9 || next.thickness < 1 || next.thickness > 40)
        continue;
      if (rms(next) < rms(best) - 1e-12) best = next, better = true;
    }
  }
  return {fmt::format("{}{}{:02}", best.camber, best.camber ? best.at : 0, best.thickness), rms(best)};
}

SectionMeasures measure(const Section& section) {
  SectionMeasures m;
  std::vector<double> x, depth, middle;
  for (int i = section_grid::noseSteps; i < section_grid::points; ++i) {
    const auto k = static_cast<std::size_t>(i);
    x.push_back(section_grid::fraction(i));
    depth.push_back(section.upper[k].y() - section.lower[k].y());
    middle.push_back((section.upper[k].y() + section.lower[k].y()) / 2);
  }
  const Peak thick = peakOf(x, depth), high = peakOf(x, middle);
  m.thickness = thick.height;
  m.thicknessAt = thick.at;
  m.camber = high.height;
  m.camberAt = m.camber > 1e-6 ? high.at : 0;
  m.noseCentre = noseCircle(section);
  m.noseRadius = m.noseCentre.norm();
  m.tailThickness = depth.back();
  const auto slopeOf = [](const Polyline& s) { return std::atan((s.back().y() - heightAt(s, 0.9)) / 0.1); };
  m.tailAngle = slopeOf(section.lower) - slopeOf(section.upper);
  std::tie(m.flatFrom, m.flatTo) = flatRun(section.lower);
  const Polyline loop = outlineOf(section);
  m.area = signedArea(loop);
  m.perimeter = perimeterOf(loop);

  const Polyline hull = lowerHull(section.lower);
  double longest = 0;
  for (std::size_t i = 1; i < hull.size(); ++i) {
    const Point &a = hull[i - 1], &b = hull[i];
    const Point along = (b - a).normalized();
    if ((b - a).norm() > longest) longest = (b - a).norm(), m.undersideAngle = std::atan2(along.y(), along.x());
    for (const Point& p : section.lower) {
      if (p.x() <= a.x() || p.x() >= b.x()) continue;
      const double gap = along.x() * (p.y() - a.y()) - along.y() * (p.x() - a.x());
      if (gap > m.undercamber) m.undercamber = gap, m.undercamberAt = p.x();
    }
  }
  // A gap thinner than this is the sampling of a convex curve or a flat run, not a hollow.
  if (m.undercamber < 5e-5) m.undercamberAt.reset();
  return m;
}

} // namespace eup
