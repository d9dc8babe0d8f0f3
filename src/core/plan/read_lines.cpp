#include "core/plan/read_lines.h"
#include "core/geometry/solve.h"
#include <algorithm>
#include <cmath>
#include <map>

namespace eup {
namespace {

struct Straight {
  double at0 = 0, slope = 0, rms = 0, worst = 0;
  std::size_t worstAt = 0;
};

/// Distances are square to the line: sweep is small but not nothing.
Straight straight(const std::vector<AtRib>& p, std::optional<std::size_t> without = {}) {
  double n = 0, st = 0, sx = 0;
  for (std::size_t i = 0; i < p.size(); ++i)
    if (i != without) n += 1, st += p[i].t, sx += p[i].x;
  double tt = 0, tx = 0;
  for (std::size_t i = 0; i < p.size(); ++i)
    if (i != without) tt += (p[i].t - st / n) * (p[i].t - st / n), tx += (p[i].t - st / n) * (p[i].x - sx / n);
  Straight s;
  s.slope = tt > 1e-12 ? tx / tt : 0;
  s.at0 = sx / n - s.slope * st / n;
  const double square = 1 / std::hypot(1.0, s.slope);
  for (std::size_t i = 0; i < p.size(); ++i) {
    if (i == without) continue;
    const double off = std::abs(p[i].x - s.at0 - s.slope * p[i].t) * square;
    s.rms += off * off / n;
    if (off > s.worst) s.worst = off, s.worstAt = i;
  }
  s.rms = std::sqrt(s.rms);
  return s;
}

/// Two lines that meet at `knee`: x = a + b t + c max(0, t − knee).
struct Bent {
  double knee = 0, change = 0, rms = 1e300, worst = 0, slope = 0;
};
Bent bentAt(const std::vector<AtRib>& p, double knee) {
  const auto n = static_cast<Eigen::Index>(p.size());
  Eigen::MatrixXd m(n, 3);
  Eigen::VectorXd x(n);
  for (Eigen::Index i = 0; i < n; ++i) {
    const AtRib& r = p[static_cast<std::size_t>(i)];
    m.row(i) << 1, r.t, std::max(0.0, r.t - knee);
    x(i) = r.x;
  }
  const Eigen::Vector3d c = leastSquares(m, x);
  const Eigen::VectorXd off = m * c - x;
  return {knee, c(2), std::sqrt(off.squaredNorm() / static_cast<double>(n)), off.cwiseAbs().maxCoeff(), c(1)};
}

/// Root mean square off the best parabola: a bow rather than a knee.
double offParabola(const std::vector<AtRib>& p) {
  const auto n = static_cast<Eigen::Index>(p.size());
  const double scale = std::max(1.0, std::abs(p.back().t));
  Eigen::MatrixXd m(n, 3);
  Eigen::VectorXd x(n);
  for (Eigen::Index i = 0; i < n; ++i) {
    const AtRib& r = p[static_cast<std::size_t>(i)];
    m.row(i) << 1, r.t / scale, r.t * r.t / (scale * scale);
    x(i) = r.x;
  }
  return std::sqrt((m * leastSquares(m, x) - x).squaredNorm() / static_cast<double>(n));
}

} // namespace

ReadLine fitLine(const std::vector<AtRib>& p) {
  ReadLine line;
  for (const AtRib& r : p) line.readings.push_back(r.reading);
  const Straight all = straight(p);
  const auto take = [&](const Straight& s) {
    line.at0 = s.at0, line.slope = s.slope, line.rms = s.rms, line.worst = s.worst;
    line.worstReading = p[s.worstAt].reading;
  };
  take(all);
  const auto [first, last] =
      std::minmax_element(p.begin(), p.end(), [](const AtRib& a, const AtRib& b) { return a.t < b.t; });
  if (last->t - first->t < 1e-9) return line;
  const double slope = (last->x - first->x) / (last->t - first->t), square = 1 / std::hypot(1.0, slope);
  for (const AtRib& r : p) {
    const double off = (r.x - first->x - slope * (r.t - first->t)) * square;
    if (std::abs(off) > std::abs(line.bow)) line.bow = off, line.bowAt = r.t;
  }
  if (all.worst <= plan_tolerance::line || p.size() < 4) return line;
  // One odd reading: without it the others lie on a line.
  for (std::size_t i = 0; i < p.size(); ++i) {
    const Straight rest = straight(p, i);
    if (rest.worst > plan_tolerance::line) continue;
    const double by = std::abs(p[i].x - rest.at0 - rest.slope * p[i].t) / std::hypot(1.0, rest.slope);
    if (line.leftOut && by < line.leftOutBy) continue;
    take(rest);
    line.leftOut = p[i].reading;
    line.leftOutBy = by;
  }
  if (line.leftOut) return line;
  // A knee: both sides straight, with at least two readings each beside it.
  Bent best;
  double from = p[1].t, to = p[p.size() - 2].t;
  for (int round = 0; round < 3; ++round) { // ever closer about the best
    constexpr int tries = 40;
    const double step = (to - from) / tries;
    for (int k = 0; k <= tries; ++k)
      if (const Bent b = bentAt(p, from + step * k); b.rms < best.rms) best = b;
    from = std::max(p[1].t, best.knee - 1.5 * step), to = std::min(p[p.size() - 2].t, best.knee + 1.5 * step);
  }
  if (best.worst <= plan_tolerance::line && best.rms < offParabola(p)) {
    line.knee = best.knee;
    line.kneeAngle = std::atan(best.slope + best.change) - std::atan(best.slope);
  }
  return line;
}

std::vector<DrawnHand> drawnHands(const Plan& plan, const std::vector<LaidSheet>& sheets) {
  std::vector<DrawnHand> out;
  std::optional<double> centre;
  for (const Reading& r : plan.readings)
    if (r.kind == ReadingKind::centreLine)
      if (const Polyline p = inMm(r, sheets); p.size() == 2) centre = (p[0].x() + p[1].x()) / 2;
  for (const Hand hand : {Hand::right, Hand::left}) {
    DrawnHand d;
    d.hand = hand;
    struct Raw {
      int rib;
      Point at;
      std::size_t reading;
    };
    std::vector<Raw> leading, trailing;
    std::map<std::pair<ReadingKind, int>, std::vector<Raw>> along;
    std::vector<double> joints;
    for (std::size_t i = 0; i < plan.readings.size(); ++i) {
      const Reading& r = plan.readings[i];
      const Polyline p = inMm(r, sheets);
      if (r.hand != hand || p.empty()) continue;
      if (r.kind == ReadingKind::leadingEdge) leading.push_back({r.number, p[0], i});
      if (r.kind == ReadingKind::trailingEdge) trailing.push_back({r.number, p[0], i});
      if (r.kind == ReadingKind::spar || r.kind == ReadingKind::hinge)
        along[{r.kind, r.number}].push_back({0, p[0], i});
      if (r.kind == ReadingKind::joint && p.size() == 2) joints.push_back((p[0].x() + p[1].x()) / 2);
    }
    if (leading.size() + trailing.size() < 2) continue;
    // The ribs' own order says which way is out, and the edges' which way is aft.
    const auto mean = [](const std::vector<Raw>& raw, int axis) {
      double sum = 0;
      for (const Raw& r : raw) sum += r.at[axis] / static_cast<double>(raw.size());
      return sum;
    };
    d.aft = leading.empty() || trailing.empty() || mean(leading, 1) >= mean(trailing, 1) ? -1 : 1;
    std::vector<Raw> both = leading;
    both.insert(both.end(), trailing.begin(), trailing.end());
    std::sort(both.begin(), both.end(), [](const Raw& a, const Raw& b) { return a.rib < b.rib; });
    d.outwards = both.back().at.x() >= both.front().at.x() ? 1 : -1;
    int rootRib = both.front().rib;
    double rootX = 0, n = 0;
    for (const Raw& r : both)
      if (r.rib == rootRib) rootX += r.at.x(), n += 1;
    d.x0 = centre.value_or(rootX / n);
    const auto t = [&](const Raw& r) { return d.outwards * (r.at.x() - d.x0); };
    // The root leading edge: where the leading edge's first panel meets the root.
    const auto sorted = [&](std::vector<Raw> raw) {
      std::sort(raw.begin(), raw.end(), [&](const Raw& a, const Raw& b) { return t(a) < t(b); });
      std::vector<AtRib> places;
      places.reserve(raw.size());
      for (const Raw& r : raw) places.push_back({r.rib, t(r), d.aft * r.at.y(), r.reading});
      return places;
    };
    d.leading = sorted(leading);
    d.trailing = sorted(trailing);
    std::vector<double> ends;
    ends.reserve(joints.size() + 1);
    for (double j : joints) ends.push_back(d.outwards * (j - d.x0));
    std::sort(ends.begin(), ends.end());
    d.joints = ends;
    ends.push_back(1e300);
    const auto lines = [&](ReadingKind kind, int number, const std::vector<AtRib>& places) {
      double from = -1e300;
      for (std::size_t k = 0; k < ends.size(); ++k) {
        constexpr double onJoint = 1.5; // mm: a reading at the joint belongs to both panels
        std::vector<AtRib> mine;
        for (const AtRib& p : places)
          if (p.t >= from - onJoint && p.t <= ends[k] + onJoint) mine.push_back(p);
        from = ends[k];
        if (mine.size() < 2 || mine.back().t - mine.front().t < 1) continue;
        ReadLine line = fitLine(mine);
        line.kind = kind;
        line.number = number;
        line.from = mine.front().t, line.to = mine.back().t;
        line.panel = static_cast<int>(k) + 1;
        line.hand = hand;
        d.lines.push_back(std::move(line));
      }
    };
    lines(ReadingKind::leadingEdge, 1, d.leading);
    lines(ReadingKind::trailingEdge, 1, d.trailing);
    for (const auto& [what, raw] : along) lines(what.first, what.second, sorted(raw));
    const ReadLine* le = d.line(ReadingKind::leadingEdge);
    const double zero = le ? le->at0 : d.leading.empty() ? 0 : d.leading.front().x;
    d.y0 = d.aft * zero;
    for (auto* places : {&d.leading, &d.trailing})
      for (AtRib& p : *places) p.x -= zero;
    for (ReadLine& line : d.lines) line.at0 -= zero;
    std::map<int, std::vector<double>> byRib;
    for (const auto* places : {&d.leading, &d.trailing})
      for (const AtRib& p : *places) byRib[p.rib].push_back(p.t);
    for (const auto& [rib, ts] : byRib) {
      double sum = 0;
      for (double v : ts) sum += v / static_cast<double>(ts.size());
      d.stations.emplace_back(rib, sum);
    }
    std::sort(d.stations.begin(), d.stations.end(), [](const auto& a, const auto& b) { return a.second < b.second; });
    out.push_back(std::move(d));
  }
  if (out.size() == 2 &&
      out[1].leading.size() + out[1].trailing.size() > out[0].leading.size() + out[0].trailing.size())
    std::swap(out[0], out[1]);
  return out;
}

} // namespace eup
