#include "core/parts/part_maker.h"
#include "core/geometry/tolerances.h"
#include <algorithm>

namespace eup {

PieceId idOf(PieceKind kind, const Rib& rib) {
  return {kind, rib.number, rib.kind == RibKind::crossing ? crossingRib : rib.bay};
}

Part PartMaker::piece(PieceId id, std::string name, std::string material) {
  Part part;
  part.id = id, part.name = std::move(name), part.material = std::move(material);
  return part;
}

void PartMaker::add(Part part) {
  if (part.grams > 0) out.push_back(std::move(part));
}

void PartMaker::addRunning(Part part, double weight, const std::function<Slice(const Rib&)>& sliceAt, double begins,
                           double ends) {
  Slice before = ribs.empty() ? Slice{} : sliceAt(ribs.front());
  Point3 moment(0, 0, 0);
  for (std::size_t i = 1; i < ribs.size(); ++i) {
    const double in = ribs[i - 1].t(), away = ribs[i].t(), bay = away - in;
    const Slice now = sliceAt(ribs[i]);
    const double from = std::max(in, begins), to = std::min(away, ends);
    const auto at = [&](double t) -> Slice {
      const double share = bay > 0 ? (t - in) / bay : 0;
      return {before.volume + (now.volume - before.volume) * share, lerp(before.at, now.at, share)};
    };
    const Slice first = from > in ? at(from) : before, last = to < away ? at(to) : now;
    if (const double a = first.volume * weight, b = last.volume * weight; to > from && a + b > 0) {
      part.runs.push_back({from, to, a, b});
      const double long_ = to - from, one = long_ * (2 * a + b) / 6, two = long_ * (a + 2 * b) / 6;
      part.grams += one + two;
      const Point middle = one * first.at + two * last.at;
      moment += Point3(middle.x(), one * from + two * to, middle.y());
    }
    before = now;
  }
  if (part.grams <= 0) return;
  part.centre = moment / part.grams;
  out.push_back(std::move(part));
}

void PartMaker::addStraight(Part part, double from, double to, const std::function<Slice(double t)>& sliceAt,
                            double bend) {
  if (to <= from) return;
  const double weight = heavy(part.material);
  constexpr double hair = 1e-9; // with what lies inside its ends
  std::vector<double> ends{from, to};
  if (bend > from && bend < to) ends.insert(ends.begin() + 1, bend);
  Point3 moment(0, 0, 0);
  for (std::size_t k = 1; k < ends.size(); ++k) {
    const double a = ends[k - 1], b = ends[k], places[] = {a + hair, (a + b) / 2, b - hair}, shares[] = {1, 4, 1};
    for (int i = 0; i < 3; ++i) {
      const Slice slice = sliceAt(places[i]);
      const double grams = shares[i] * (b - a) / 6 * slice.volume * weight;
      part.grams += grams;
      moment += grams * Point3(slice.at.x(), places[i], slice.at.y());
    }
  }
  if (part.grams <= 0) return;
  part.centre = moment / part.grams;
  part.at = part.centre.y();
  const auto end = [&](double t) -> Point3 {
    const Point at = sliceAt(t).at;
    return {at.x(), t, at.y()};
  };
  part.from = end(from), part.to = end(to);
  spread(part, from, to, [&](double t) { return sliceAt(t).volume * weight; });
  out.push_back(std::move(part));
}

void PartMaker::spread(Part& part, double from, double to, const std::function<double(double)>& weight) const {
  double sum = 0;
  for (std::size_t i = 1; i < ribs.size(); ++i) {
    const double a = ribs[i - 1].t(), b = ribs[i].t();
    const auto at = [&](double t) {
      return t >= from - 1e-9 && t <= to + 1e-9 ? weight(std::clamp(t, from, to)) : 0.0;
    };
    if (b <= a || (at(a) <= 0 && at(b) <= 0)) continue;
    part.runs.push_back({a, b, at(a), at(b)});
    sum += (at(a) + at(b)) / 2 * (b - a);
  }
  for (Part::Run& run : part.runs) run.atFrom *= part.grams / sum, run.atTo *= part.grams / sum;
}

void PartMaker::reachJoins(Part& part, const Point3& from, const Point3& to, double deep) const {
  const double run = to.y() - from.y();
  if (run <= tolerance::atAnEnd) return;
  const double stretch = (to - from).norm() / run;
  const auto more = [&](const Point3& at, double t, double lean) {
    const ChordFrame frame = loft.frameAt(t);
    const double over = at.z() - frame.fromChord({(at.x() - frame.le.x()) / std::cos(frame.washout), 0}).y(),
                 slope = std::tan(lean);
    return stretch * std::max(-(over - deep / 2) * slope, -(over + deep / 2) * slope);
  };
  if (from.y() < tolerance::atAnEnd) part.pastRoot = more(from, 0, d.lean);
  if (to.y() > loft.span() - tolerance::atAnEnd) part.pastTip = more(to, loft.span(), d.leanBeyond);
  part.length += part.pastRoot + part.pastTip;
}

double PartMaker::depthAt(const Rib& rib, double x) const {
  const double t = tOf(rib), f = std::clamp(x / loft.frameAt(t).chord, 0.0, 1.0);
  return std::max(loft.at(Face::upper, f, t).y() - loft.at(Face::lower, f, t).y(), 0.0);
}

Point PartMaker::middleAt(const Rib& rib, double x) const {
  const double t = tOf(rib);
  return loft.middle(std::clamp(x / loft.frameAt(t).chord, 0.0, 1.0), t);
}

double PartMaker::deepest(double x, bool fromTail) const {
  double deep = 0;
  for (const Rib& rib : ribs) deep = std::max(deep, depthAt(rib, fromTail ? loft.frameAt(tOf(rib)).chord - x : x));
  return deep;
}

double PartMaker::edgeLength(bool leading) const {
  const ChordFrame in = loft.frameAt(0), away = loft.frameAt(loft.span());
  const Point way = leading ? away.le - in.le : away.te - in.te;
  return std::hypot(way.norm(), loft.span());
}

} // namespace eup
