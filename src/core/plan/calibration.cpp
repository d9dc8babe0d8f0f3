#include "core/plan/calibration.h"
#include "core/geometry/solve.h"
#include "core/measure/length_text.h"
#include "core/measure/units.h"
#include <algorithm>
#include <cmath>
#include <fmt/format.h>

namespace eup {
namespace {

constexpr double shownStretch = 0.0015; // a stretch below this is neither told nor, on a wing, felt
constexpr double shownSkew = 0.001;     // rad

std::string percent(double share) {
  return formatNumber(std::abs(share) * 100, 1) + " %";
}

/// Which scales the directions of the known lengths can tell apart: from the spread of their squares.
Seen seenBy(const std::vector<Point>& ways) {
  if (ways.empty()) return Seen::nothing;
  Eigen::MatrixXd full(static_cast<Eigen::Index>(ways.size()), 3);
  for (std::size_t i = 0; i < ways.size(); ++i) {
    const Point u = ways[i].normalized();
    full.row(static_cast<Eigen::Index>(i)) << u.x() * u.x(), u.y() * u.y(), 2 * u.x() * u.y();
  }
  const Eigen::Matrix3d square = full.transpose() * full;
  // Of the first two columns, and of all three: the least singular value over the largest.
  const auto share = [&](Eigen::Index columns, double least, double most) {
    return full.rows() < columns || least <= 0 ? 0.0 : std::sqrt(least / most);
  };
  const MainAxes two = mainAxes(square.topLeftCorner<2, 2>());
  const Eigen::Vector3d three = eigenvaluesOf(square);
  constexpr double enough = 0.15; // about 20° between the directions
  if (share(3, three(0), three(2)) > enough) return Seen::twoScalesSkew;
  return share(2, two.least, two.most) > enough ? Seen::twoScales : Seen::oneScale;
}

/// Gauss and Newton on |T d| − L with T = [p k; 0 q]; as many of p, q, k as are seen.
Eigen::Matrix2d fitted(const std::vector<Point>& ways, const std::vector<double>& lengths, Seen seen) {
  double sum = 0, true_ = 0;
  for (std::size_t i = 0; i < ways.size(); ++i) sum += ways[i].squaredNorm(), true_ += ways[i].norm() * lengths[i];
  double p = true_ / sum, q = p, k = 0;
  if (seen == Seen::oneScale) return Eigen::Matrix2d::Identity() * p;
  const Eigen::Index unknowns = seen == Seen::twoScalesSkew ? 3 : 2, n = static_cast<Eigen::Index>(ways.size());
  for (int round = 0; round < 30; ++round) {
    Eigen::MatrixXd slope(n, unknowns);
    Eigen::VectorXd off(n);
    for (Eigen::Index i = 0; i < n; ++i) {
      const Point& d = ways[static_cast<std::size_t>(i)];
      const Point t(p * d.x() + k * d.y(), q * d.y());
      const double l = std::max(t.norm(), 1e-12);
      off(i) = l - lengths[static_cast<std::size_t>(i)];
      slope(i, 0) = t.x() * d.x() / l;
      slope(i, 1) = t.y() * d.y() / l;
      if (unknowns == 3) slope(i, 2) = t.x() * d.y() / l;
    }
    const Eigen::VectorXd step = leastSquares(slope, off);
    p -= step(0), q -= step(1);
    if (unknowns == 3) k -= step(2);
    if (step.norm() < 1e-14) break;
  }
  Eigen::Matrix2d t;
  t << p, k, 0, q;
  return t;
}

/// Counter-clockwise as seen (y up), from the lower left.
Polyline inOrder(const Polyline& corners) {
  Point middle(0, 0);
  for (const Point& c : corners) middle += c / 4;
  Polyline out = corners;
  std::sort(out.begin(), out.end(), [&](const Point& a, const Point& b) {
    return std::atan2(-(a.y() - middle.y()), a.x() - middle.x()) <
           std::atan2(-(b.y() - middle.y()), b.x() - middle.x());
  });
  return out; // angles from −180°: lower left, lower right, upper right, upper left
}

Result<Eigen::Matrix3d> perspective(const PlanSheet& s) {
  if (s.corners.size() != 4) return Problem{s.name, "four corners of a rectangle are needed"};
  const Polyline from = inOrder(s.corners);
  for (std::size_t i = 0; i < 4; ++i) {
    const Point a = from[(i + 1) % 4] - from[i], b = from[(i + 2) % 4] - from[(i + 1) % 4];
    if (a.x() * -b.y() - -a.y() * b.x() < 1)
      return Problem{s.name, "the four corners make no rectangle: read them again"};
  }
  const Polyline to{{0, 0}, {s.cornerWidth, 0}, {s.cornerWidth, s.cornerHeight}, {0, s.cornerHeight}};
  // Eight unknowns of the map, two equations a corner; pixels scaled to about 1 for the solve.
  const double unit = (from[2] - from[0]).norm();
  Eigen::Matrix<double, 8, 8> a;
  Eigen::Matrix<double, 8, 1> b;
  for (Eigen::Index i = 0; i < 4; ++i) {
    const Point p = from[static_cast<std::size_t>(i)] / unit;
    const Point& m = to[static_cast<std::size_t>(i)];
    a.row(2 * i) << p.x(), p.y(), 1, 0, 0, 0, -m.x() * p.x(), -m.x() * p.y();
    a.row(2 * i + 1) << 0, 0, 0, p.x(), p.y(), 1, -m.y() * p.x(), -m.y() * p.y();
    b(2 * i) = m.x(), b(2 * i + 1) = m.y();
  }
  const Eigen::VectorXd h = leastSquares(a, b);
  Eigen::Matrix3d map;
  map << h(0), h(1), h(2), h(3), h(4), h(5), h(6), h(7), 1;
  Eigen::Matrix3d scale = Eigen::Matrix3d::Identity();
  scale(0, 0) = scale(1, 1) = 1 / unit;
  map = map * scale;
  if (!map.allFinite() || std::abs(map.determinant()) < 1e-30)
    return Problem{s.name, "the four corners make no rectangle: read them again"};
  return map;
}

/// Length a pixel covers at a place, along the sheet and across it.
Point scaleAt(const TrueSheet& t, const Point& pixel) {
  return {(t.mm(pixel + Point(0.5, 0)) - t.mm(pixel - Point(0.5, 0))).norm(),
          (t.mm(pixel + Point(0, 0.5)) - t.mm(pixel - Point(0, 0.5))).norm()};
}

std::vector<std::string> wordsFor(const PlanSheet& s, const TrueSheet& t) {
  std::vector<std::string> out;
  const auto stretch = [](double printed, double truth) { return printed / truth - 1; };
  const auto told = [](double e, const char* way) {
    return fmt::format("{} {} {}", percent(e), e < 0 ? "short" : "long", way);
  };
  const double nominal = s.dpi > 0 ? mmPerInch / s.dpi : 0;
  switch (t.seen) {
  case Seen::nothing:
    out.push_back(s.dpi > 0
                      ? "Nothing is known to be true yet: the file's own resolution is taken."
                      : fmt::format("Nothing is known to be true yet, and the file does not say its resolution: {} "
                                    "pixels an inch are taken.",
                                    assumedDpi));
    return out;
  case Seen::oneScale: {
    const double e = stretch(nominal, t.along);
    if (nominal > 0)
      out.push_back(std::abs(e) < shownStretch ? "The print is true to scale in the direction measured."
                                               : "The print is " + told(e, "in the direction measured") + ".");
    out.push_back(
        "One direction is measured: whether the sheet has stretched the other way, or out of square, cannot be "
        "seen. Add a length across it.");
    return out;
  }
  case Seen::twoScales:
  case Seen::twoScalesSkew: {
    std::string line;
    if (nominal > 0) {
      const double a = stretch(nominal, t.along), c = stretch(nominal, t.across);
      if (std::abs(a) < shownStretch && std::abs(c) < shownStretch)
        line = "true to scale both ways";
      else if (std::abs(a) < shownStretch)
        line = told(c, "across");
      else if (std::abs(c) < shownStretch)
        line = told(a, "along");
      else
        line = told(a, "along") + ", " + told(c, "across");
    } else {
      const double e = t.along / t.across - 1; // a print that is short across has fewer pixels for the same length
      line = std::abs(e) < shownStretch ? "the same scale both ways" : told(e, "across against along");
    }
    if (t.seen == Seen::twoScalesSkew)
      line += std::abs(t.skew) < shownSkew
                  ? ", square"
                  : fmt::format(", out of square by {}°", formatNumber(std::abs(radToDeg(t.skew)), 2));
    out.push_back("The print is " + line + ".");
    if (t.seen == Seen::twoScales)
      out.push_back("Whether it is square cannot be seen: add a length that runs diagonally.");
    return out;
  }
  case Seen::perspective:
    out.push_back(t.slant < 0.005
                      ? "The picture was taken squarely: its scale is the same all over."
                      : fmt::format("The picture was taken at a slant: its scale changes by {} over the sheet; "
                                    "that is put right.",
                                    percent(t.slant)));
    out.push_back("Paper that does not lie flat cannot be put right by its corners. Check with a known length.");
  }
  return out;
}

} // namespace

namespace {

bool printIsUntrue(const PlanSheet& s, const TrueSheet& t) {
  const bool skewed = t.seen == Seen::twoScalesSkew && std::abs(t.skew) >= shownSkew;
  if (t.seen == Seen::nothing || t.seen == Seen::perspective) return false;
  if (s.dpi <= 0) return skewed || (t.seen != Seen::oneScale && std::abs(t.along / t.across - 1) >= shownStretch);
  const double nominal = mmPerInch / s.dpi;
  return skewed || std::abs(nominal / t.along - 1) >= shownStretch || std::abs(nominal / t.across - 1) >= shownStretch;
}

} // namespace

Result<TrueSheet> makeTrue(const PlanSheet& s) {
  TrueSheet t;
  Eigen::Matrix3d flip = Eigen::Matrix3d::Identity(); // pixels count down, the board up
  flip(1, 1) = -1;
  flip(1, 2) = s.height;
  std::vector<Point> ways;
  std::vector<double> lengths;
  for (const KnownLength& l : s.lengths) {
    if (l.ends.size() != 2 || (l.ends[1] - l.ends[0]).norm() < 1)
      return Problem{s.name, fmt::format("the known length “{}” has its ends together", l.name)};
    const Point d = l.ends[1] - l.ends[0];
    ways.emplace_back(d.x(), -d.y());
    lengths.push_back(l.length);
  }
  if (s.by == MakeTrue::corners) {
    auto map = perspective(s);
    if (!map) return map.problem();
    t.toMm = map.value();
    t.seen = Seen::perspective;
  } else {
    t.seen = seenBy(ways);
    const Eigen::Matrix2d linear =
        t.seen == Seen::nothing
            ? Eigen::Matrix2d(Eigen::Matrix2d::Identity() * (mmPerInch / (s.dpi > 0 ? s.dpi : assumedDpi)))
            : fitted(ways, lengths, t.seen);
    if (!(linear(0, 0) > 1e-9 && linear(1, 1) > 1e-9 && linear.allFinite()))
      return Problem{s.name, "the known lengths contradict each other: no scale fits them"};
    Eigen::Matrix3d map = Eigen::Matrix3d::Identity();
    map.topLeftCorner<2, 2>() = linear;
    t.toMm = map * flip;
    t.skew = std::atan2(linear(0, 1), linear(1, 1));
  }
  if (s.level.size() == 2) {
    const Point d = t.mm(s.level[1]) - t.mm(s.level[0]);
    double turn = std::atan2(d.y(), d.x());
    if (turn > pi / 2) turn -= pi;
    if (turn <= -pi / 2) turn += pi;
    if (d.norm() > 1e-6) {
      Eigen::Matrix3d level = Eigen::Matrix3d::Identity();
      level.topLeftCorner<2, 2>() << std::cos(turn), std::sin(turn), -std::sin(turn), std::cos(turn);
      t.toMm = level * t.toMm;
    }
  }
  const double w = std::max(s.width, 2), h = std::max(s.height, 2);
  const Point scale = scaleAt(t, {w / 2, h / 2});
  t.along = scale.x(), t.across = scale.y();
  if (t.seen == Seen::perspective) {
    double low = 1e300, high = 0;
    for (const Point& c : s.corners) {
      const Point at = scaleAt(t, c);
      low = std::min({low, at.x(), at.y()}), high = std::max({high, at.x(), at.y()});
    }
    t.slant = high / low - 1;
  }
  for (std::size_t i = 0; i < s.lengths.size(); ++i)
    t.residuals.push_back((t.mm(s.lengths[i].ends[1]) - t.mm(s.lengths[i].ends[0])).norm() - lengths[i]);
  t.words = wordsFor(s, t);
  t.untrue = printIsUntrue(s, t);
  return t;
}

} // namespace eup
