#include "core/plan/readings.h"
#include "core/geometry/polyline.h"
#include <algorithm>
#include <cmath>
#include <fmt/format.h>

namespace eup {
namespace {

constexpr double gapBetweenSheets = 20; // mm

Box boxOf(const PlanSheet& s, const LaidSheet& l) {
  Box box;
  const double w = s.width, h = s.height;
  for (const Point& corner : {Point(0, 0), Point(w, 0), Point(w, h), Point(0, h)}) box.include(l.mm(corner));
  return box;
}

/// Places a sheet by the match marks that it shares with sheets laid before: one shifts it, two or more turn it too.
bool match(const Plan& plan, std::size_t index, std::vector<LaidSheet>& laid) {
  std::vector<std::pair<Point, Point>> pairs; // own mm, plan mm
  const auto isMark = [](const Reading& r) { return r.kind == ReadingKind::matchMark && r.points.size() == 1; };
  for (const Reading& own : plan.readings) {
    if (!isMark(own) || own.sheet != static_cast<int>(index) + 1) continue;
    for (const Reading& other : plan.readings)
      if (isMark(other) && other.number == own.number && other.sheet < own.sheet)
        pairs.emplace_back(laid[index].sheet.mm(own.points[0]),
                           laid[static_cast<std::size_t>(other.sheet - 1)].mm(other.points[0]));
  }
  if (pairs.empty()) return false;
  Point from(0, 0), to(0, 0);
  for (const auto& [a, b] : pairs)
    from += a / static_cast<double>(pairs.size()), to += b / static_cast<double>(pairs.size());
  double sine = 0, cosine = 0;
  for (const auto& [a, b] : pairs) {
    const Point p = a - from, q = b - to;
    cosine += p.dot(q);
    sine += p.x() * q.y() - p.y() * q.x();
  }
  Placement& on = laid[index].on;
  on.angle = pairs.size() > 1 ? std::atan2(sine, cosine) : 0;
  on.shift = Point(0, 0);
  on.shift = to - on(from);
  for (const auto& [a, b] : pairs) laid[index].matchMisfit = std::max(laid[index].matchMisfit, (on(a) - b).norm());
  return true;
}

} // namespace

Eigen::Matrix3d LaidSheet::map() const {
  Eigen::Matrix3d move = Eigen::Matrix3d::Identity();
  move.topLeftCorner<2, 2>() << std::cos(on.angle), -std::sin(on.angle), std::sin(on.angle), std::cos(on.angle);
  move.topRightCorner<2, 1>() = on.shift;
  return move * sheet.toMm;
}

std::vector<LaidSheet> layOut(const Plan& plan) {
  std::vector<LaidSheet> laid;
  Box all;
  for (std::size_t i = 0; i < plan.sheets.size(); ++i) {
    const PlanSheet& s = plan.sheets[i];
    LaidSheet l;
    if (auto made = makeTrue(s)) {
      l.sheet = std::move(made.value());
    } else {
      l.problem = made.problem();
      PlanSheet plain = s; // as scanned, so that nothing read is lost from sight
      plain.by = MakeTrue::lengths;
      plain.lengths.clear();
      plain.level.clear();
      l.sheet = makeTrue(plain).value();
    }
    laid.push_back(std::move(l));
    laid[i].matched = match(plan, i, laid);
    if (!laid[i].matched) {
      const Box own = boxOf(s, laid[i]);
      laid[i].on.shift =
          all.empty() ? -own.low : Point(all.high.x() + gapBetweenSheets - own.low.x(), all.low.y() - own.low.y());
    }
    all.include(boxOf(s, laid[i]));
  }
  return laid;
}

Polyline inMm(const Reading& r, const std::vector<LaidSheet>& laid) {
  Polyline out;
  if (r.sheet < 1 || r.sheet > static_cast<int>(laid.size())) return out;
  for (const Point& p : r.points) out.push_back(laid[static_cast<std::size_t>(r.sheet - 1)].mm(p));
  return out;
}

ReadValue valueOf(const Reading& r, const std::vector<LaidSheet>& laid) {
  const Polyline p = inMm(r, laid);
  if (p.empty()) return {};
  if (r.kind == ReadingKind::angle && p.size() == 3) {
    const Point a = p[0] - p[1], b = p[2] - p[1];
    return {Quantity::angle, std::abs(std::atan2(a.x() * b.y() - a.y() * b.x(), a.dot(b)))};
  }
  if (p.size() == 1) return {Quantity::length, p[0].x(), p[0].y()};
  return {Quantity::length, lengthOf(p)};
}

Result<Plan> withValue(const Plan& plan, std::size_t index, double value, std::optional<double> across) {
  if (index >= plan.readings.size() || !std::isfinite(value)) return Problem{"", "there is no such reading"};
  Plan out = plan;
  Reading& r = out.readings[index];
  const auto laid = layOut(plan);
  const LaidSheet& sheet = laid[static_cast<std::size_t>(r.sheet - 1)];
  Polyline p = inMm(r, laid);
  if (p.size() == 1) {
    r.points[0] = sheet.pixel({value, across.value_or(p[0].y())});
    return out;
  }
  if (r.kind == ReadingKind::angle) {
    if (!(value > 0 && value < pi)) return Problem{nameOf(r), "an angle between 0° and 180° is needed"};
    const Point a = p[0] - p[1], b = p[2] - p[1];
    const double side = a.x() * b.y() - a.y() * b.x() < 0 ? -1 : 1, turn = std::atan2(a.y(), a.x()) + side * value;
    r.points[2] = sheet.pixel(p[1] + b.norm() * Point(std::cos(turn), std::sin(turn)));
    return out;
  }
  if (p.size() != 2) return Problem{nameOf(r), "an outline is moved point by point on the board"};
  if (!(value > 0)) return Problem{nameOf(r), "a length is more than nothing"};
  const Point way = p[1] - p[0];
  if (way.norm() < 1e-9) return Problem{nameOf(r), "its ends lie together: move one on the board"};
  r.points[1] = sheet.pixel(p[0] + way.normalized() * value);
  return out;
}

int nextNumber(const Plan& plan, ReadingKind kind, Hand hand) {
  int highest = 0;
  for (const Reading& r : plan.readings)
    if (r.kind == kind && r.hand == hand) highest = std::max(highest, r.number);
  return highest + 1;
}

Plan withoutSheet(const Plan& plan, int sheet) {
  Plan out = plan;
  if (sheet < 1 || sheet > static_cast<int>(plan.sheets.size())) return out;
  out.sheets.erase(out.sheets.begin() + sheet - 1);
  std::erase_if(out.readings, [&](const Reading& r) { return r.sheet == sheet; });
  for (Reading& r : out.readings)
    if (r.sheet > sheet) --r.sheet;
  return out;
}

} // namespace eup
