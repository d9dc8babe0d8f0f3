#include "core/geometry/cover.h"
#include <cmath>

namespace eup {
namespace {

constexpr double sharpest = 0.25; // cosine of half the turn below which a mitre would run away: cut blunt instead

struct Line {
  Point from, to, inwards;
  double cover;
};

std::vector<Line> linesOf(const std::vector<Stretch>& stretches) {
  std::vector<Line> lines;
  for (const Stretch& s : stretches)
    for (std::size_t i = 1; i < s.line.size(); ++i) {
      const Point run = s.line[i] - s.line[i - 1];
      const double length = run.norm();
      if (length < 1e-9) continue;
      lines.push_back({s.line[i - 1], s.line[i], Point(-run.y(), run.x()) / length, s.cover});
    }
  return lines;
}

} // namespace

Polyline underCover(const std::vector<Stretch>& stretches) {
  const auto lines = linesOf(stretches);
  Polyline out;
  out.reserve(lines.size() + 16);
  for (std::size_t i = 0; i < lines.size(); ++i) {
    const Line& a = lines[i];
    const Line& b = lines[(i + 1) % lines.size()];
    const double cosine = a.inwards.dot(b.inwards);
    const double halfSquared = (1 + cosine) / 2;
    if (a.cover == b.cover && halfSquared > sharpest * sharpest && (a.to - b.from).squaredNorm() < 1e-12) {
      out.push_back(a.to + (a.inwards + b.inwards) * (a.cover / (1 + cosine)));
      continue;
    }
    out.push_back(a.to + a.inwards * a.cover);
    out.push_back(b.from + b.inwards * b.cover);
  }
  return out;
}

} // namespace eup
