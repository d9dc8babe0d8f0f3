#include "core/section/traced_section.h"
#include "core/geometry/solve.h"
#include <algorithm>
#include <cmath>
#include <fmt/format.h>

namespace eup {
namespace {

/// Cubic P-spline over [-1, 1]: B-splines on an even grid, third differences of their weights held small.
class PSpline {
public:
  static constexpr int intervals = 40, size = intervals + 3;
  static constexpr double step = 2.0 / intervals;

  PSpline() : normal(Eigen::MatrixXd::Zero(size, size)), right(Eigen::VectorXd::Zero(size)) {
    Eigen::MatrixXd difference = Eigen::MatrixXd::Zero(size - 3, size);
    for (int i = 0; i + 3 < size; ++i) difference.block<1, 4>(i, i) << -1, 3, -3, 1;
    penalty = difference.transpose() * difference;
  }
  void add(double u, double y, double weight) {
    const auto [first, b] = basis(u);
    normal.block<4, 4>(first, first) += weight * b * b.transpose();
    right.segment<4>(first) += weight * y * b;
  }
  void solve(double lambda) {
    constexpr double floorLambda = 1e-9; // keeps stretches without points determined
    weights = symmetricSolution(normal + (lambda + floorLambda) * penalty, right);
  }
  double operator()(double u) const {
    const auto [first, b] = basis(u);
    return weights.segment<4>(first).dot(b);
  }

private:
  struct Basis {
    int first;
    Eigen::Vector4d b;
  };
  static Basis basis(double u) {
    const double at = std::clamp((u + 1) / step, 0.0, static_cast<double>(intervals));
    const int first = std::min(static_cast<int>(at), intervals - 1);
    const double t = at - first, s = 1 - t, t2 = t * t, t3 = t2 * t;
    return {first, Eigen::Vector4d(s * s * s, 3 * t3 - 6 * t2 + 4, -3 * t3 + 3 * t2 + 3 * t + 1, t3) / 6};
  }
  Eigen::MatrixXd normal, penalty;
  Eigen::VectorXd right, weights;
};

/// One point of a surface as the spline sees it: ±√x along, so that the nose is a smooth stretch in the middle.
struct Sample {
  double u, y, weight;
};

/// The smoothest spline that leaves no sample by more than `tolerance` (weighed, so that the steep nose counts less).
PSpline smoothest(const std::vector<Sample>& samples, double tolerance) {
  PSpline spline;
  for (const Sample& s : samples) spline.add(s.u, s.y, s.weight);
  const auto worst = [&] {
    double far = 0;
    for (const Sample& s : samples) far = std::max(far, std::abs(spline(s.u) - s.y) * std::sqrt(s.weight));
    return far;
  };
  double low = -9, high = 3; // powers of ten
  for (int i = 0; i < 24; ++i) {
    const double middle = (low + high) / 2;
    spline.solve(std::pow(10, middle));
    (worst() <= tolerance ? low : high) = middle;
  }
  spline.solve(std::pow(10, low));
  return spline;
}

/// A point's weight: near the nose its x tells little about its height, since the surface stands upright there.
double weightAt(double x) {
  constexpr double steep = 0.002;
  return x / (x + steep);
}

Section sectionOfSpline(std::string name, const PSpline& spline) {
  constexpr int steps = 400;
  Polyline upper, lower;
  const double lift = spline(0); // the nose is put back to (0,0), fading out to the tail
  for (int i = 0; i <= steps; ++i) {
    const double u = static_cast<double>(i) / steps, x = u * u;
    upper.emplace_back(x, spline(u) - lift * (1 - x));
    lower.emplace_back(x, spline(-u) - lift * (1 - x));
  }
  return sectionFromCurves(std::move(name), upper, lower);
}

/// Mean gap between the surfaces over a stretch of the long axis: tells nose from tail.
double meanGap(const Polyline& a, const Polyline& b, double from, double to) {
  const auto mean = [&](const Polyline& p) {
    double sum = 0;
    int n = 0;
    for (const Point& q : p)
      if (q.x() >= from && q.x() <= to) sum += q.y(), ++n;
    return n ? std::optional(sum / n) : std::nullopt;
  };
  const auto x = mean(a), y = mean(b);
  return x && y ? std::abs(*x - *y) : 0;
}

double distanceTo(const Polyline& line, const Point& p) {
  double best = 1e300;
  for (std::size_t i = 0; i + 1 < line.size(); ++i) {
    const Point d = line[i + 1] - line[i];
    const double l2 = d.squaredNorm(), t = l2 > 0 ? std::clamp((p - line[i]).dot(d) / l2, 0.0, 1.0) : 0;
    best = std::min(best, (line[i] + d * t - p).norm());
  }
  return best;
}

PlacedTrace onChord(const TracedSection& traced, PlacedTrace placed, const Point& le, const Point& te,
                    const Point& upwards) {
  placed.le = le;
  placed.chord = (te - le).norm();
  placed.aft = (te - le) / placed.chord;
  placed.up = Point(-placed.aft.y(), placed.aft.x());
  if (placed.up.dot(upwards) < 0) placed.up = -placed.up;
  placed.upper.clear(), placed.lower.clear();
  for (const Point& p : traced.upper) placed.upper.push_back(placed.toChord(p));
  for (const Point& p : traced.lower) placed.lower.push_back(placed.toChord(p));
  return placed;
}

} // namespace

Result<PlacedTrace> placeTrace(const TracedSection& traced) {
  Polyline all;
  for (const auto* surface : {&traced.upper, &traced.lower}) {
    if (surface->size() < fewestTraced)
      return Problem{surface == &traced.upper ? "upper surface" : "lower surface",
                     fmt::format("{} points were read; {} are needed", surface->size(), fewestTraced)};
    for (const Point& p : *surface) {
      if (!p.allFinite() || p.cwiseAbs().maxCoeff() > 1e6) return Problem{"", "a traced point lies nowhere"};
      all.push_back(p);
    }
  }
  Point centre(0, 0);
  for (const Point& p : all) centre += p / static_cast<double>(all.size());
  Eigen::Matrix2d spread = Eigen::Matrix2d::Zero();
  for (const Point& p : all) spread += (p - centre) * (p - centre).transpose();
  const MainAxes axes = mainAxes(spread);
  const Point axis = axes.way, side(-axis.y(), axis.x());
  const auto along = [&](const Polyline& line) {
    Polyline out;
    for (const Point& p : line) out.emplace_back((p - centre).dot(axis), (p - centre).dot(side));
    return out;
  };
  const Polyline a = along(traced.upper), b = along(traced.lower);
  double low = 1e300, high = -1e300;
  for (const auto* line : {&a, &b})
    for (const Point& p : *line) low = std::min(low, p.x()), high = std::max(high, p.x());
  const double length = high - low;
  if (length < 1) return Problem{"", "the traced points lie on top of each other: no chord can be found"};
  const bool noseLow = meanGap(a, b, low + 0.05 * length, low + 0.35 * length) >=
                       meanGap(a, b, high - 0.35 * length, high - 0.05 * length);
  // The tail of each surface is its point farthest towards the thin end.
  const auto tailOf = [&](const Polyline& line, const Polyline& plan) {
    const auto it = std::max_element(line.begin(), line.end(), [&](const Point& p, const Point& q) {
      return noseLow ? p.x() < q.x() : p.x() > q.x();
    });
    return plan[static_cast<std::size_t>(it - line.begin())];
  };
  const Point te = (tailOf(a, traced.upper) + tailOf(b, traced.lower)) / 2;
  const Point le = *std::max_element(all.begin(), all.end(),
                                     [&](const Point& p, const Point& q) { return (p - te).norm() < (q - te).norm(); });
  // Up is where the upper surface lies: a section may be drawn with its nose on either side.
  Point up(-(te - le).y(), (te - le).x());
  double above = 0;
  for (const Point& p : traced.upper) above += (p - le).dot(up) / static_cast<double>(traced.upper.size());
  for (const Point& p : traced.lower) above -= (p - le).dot(up) / static_cast<double>(traced.lower.size());
  if (above < 0) up = -up;
  return onChord(traced, {}, le, te, up);
}

Result<TraceFit> fitTrace(const TracedSection& traced) {
  const auto placed = placeTrace(traced);
  if (!placed) return placed.problem();
  const PlacedTrace& t = placed.value();
  std::vector<Sample> samples{{0, 0, 1}};
  const auto take = [&](const Polyline& points, double sign) {
    for (const Point& p : points) {
      const double x = std::clamp(p.x(), 0.0, 1.0);
      if (x > 1e-9) samples.push_back({sign * std::sqrt(x), p.y(), weightAt(x)});
    }
  };
  take(t.upper, 1);
  take(t.lower, -1);
  const PSpline spline = smoothest(samples, std::max(traced.tolerance, 1e-6) / t.chord);
  TraceFit fit;
  fit.section = sectionOfSpline(traced.name, spline);
  fit.placed = onChord(traced, t, t.toPlan({0, spline(0)}), t.toPlan({1, 0}), t.up);
  for (int i = section_grid::noseSteps + 4; i < section_grid::points - 1; ++i) {
    const auto k = static_cast<std::size_t>(i);
    if (fit.section.upper[k].y() <= fit.section.lower[k].y())
      return Problem{
          "", fmt::format("the traced surfaces cross at {:.0f} % of the chord", section_grid::fraction(i) * 100)};
  }
  fit.chord = fit.placed.chord;
  double sum = 0;
  std::size_t count = 0;
  for (const bool upper : {true, false}) {
    const Polyline& points = upper ? fit.placed.upper : fit.placed.lower;
    for (std::size_t i = 0; i < points.size(); ++i) {
      // Near the nose the other surface may be the nearer one: a point belongs to the outline.
      const double off =
          std::min(distanceTo(upper ? fit.section.upper : fit.section.lower, points[i]),
                   points[i].x() < 0.02 ? distanceTo(upper ? fit.section.lower : fit.section.upper, points[i])
                                        : 1e300) *
          fit.chord;
      sum += off * off, ++count;
      if (off > fit.worst) fit.worst = off, fit.worstAt = points[i], fit.worstUpper = upper, fit.worstPoint = i;
    }
  }
  fit.rms = std::sqrt(sum / static_cast<double>(count));
  return fit;
}

Section smoothed(const Section& section, double tolerance) {
  std::vector<Sample> samples{{0, 0, 100}};
  for (int i = section_grid::noseSteps + 1; i < section_grid::points; ++i) {
    const auto k = static_cast<std::size_t>(i);
    const double x = section_grid::fraction(i), weight = i + 1 == section_grid::points ? 100 : weightAt(x);
    samples.push_back({std::sqrt(x), section.upper[k].y(), weight});
    samples.push_back({-std::sqrt(x), section.lower[k].y(), weight});
  }
  const PSpline spline = smoothest(samples, tolerance);
  return sectionOfSpline(section.name, spline);
}

} // namespace eup
