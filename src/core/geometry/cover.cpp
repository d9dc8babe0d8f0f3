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

/// How the inset of line a goes over into that of line b: by their mitre, or, where there is none (the cover changes,
/// or the turn is too sharp for one), from one's end to the other's start.
struct Joint {
  Point end, start;
  bool mitred = false;
};

Joint jointOf(const Line& a, const Line& b) {
  const double cosine = a.inwards.dot(b.inwards);
  const bool smooth = (1 + cosine) / 2 > sharpest * sharpest && (a.to - b.from).squaredNorm() < 1e-12;
  if (a.cover != b.cover || !smooth) return {a.to + a.inwards * a.cover, b.from + b.inwards * b.cover, false};
  const Point mitre = a.to + (a.inwards + b.inwards) * (a.cover / (1 + cosine));
  return {mitre, mitre, true};
}

} // namespace

Polyline underCover(const std::vector<Stretch>& stretches) {
  const auto lines = linesOf(stretches);
  const std::size_t n = lines.size();
  std::vector<Joint> joints(n); // joints[i] follows lines[i]
  for (std::size_t i = 0; i < n; ++i) joints[i] = jointOf(lines[i], lines[(i + 1) % n]);
  // A line that mitres have turned round lies deeper in the curve than its radius.
  const auto reversed = [&](std::size_t i) {
    return (joints[i].end - joints[(i + n - 1) % n].start).dot(lines[i].to - lines[i].from) < 0;
  };
  Polyline out;
  out.reserve(n + 16);
  for (std::size_t i = 0; i < n; ++i) {
    const Line &a = lines[i], &b = lines[(i + 1) % n];
    if (joints[i].mitred && !reversed(i) && !reversed((i + 1) % n)) {
      out.push_back(joints[i].end);
      continue;
    }
    out.push_back(a.to + a.inwards * a.cover);
    if (joints[i].mitred) out.push_back(a.to); // by way of the old corner, so that what is turned round winds backwards
    out.push_back(b.from + b.inwards * b.cover);
  }
  return out;
}

} // namespace eup
