#include "core/plan/plan.h"
#include <fmt/format.h>

namespace eup {

const std::string& EmbeddedCopy::bytes() const {
  static const std::string none;
  return held ? *held : none;
}

PointCount pointsOf(ReadingKind kind) {
  switch (kind) {
  case ReadingKind::leadingEdge:
  case ReadingKind::trailingEdge:
  case ReadingKind::spar:
  case ReadingKind::hinge:
  case ReadingKind::matchMark:
    return {1, 1};
  case ReadingKind::joint:
  case ReadingKind::centreLine:
  case ReadingKind::ribTemplate:
  case ReadingKind::ribThickness:
  case ReadingKind::length:
    return {2, 2};
  case ReadingKind::angle:
    return {3, 3};
  case ReadingKind::tip:
  case ReadingKind::upperSurface:
  case ReadingKind::lowerSurface:
    break;
  }
  return {2, mostReadingPoints};
}

std::string nameOf(const Reading& r) {
  if (!r.name.empty()) return r.name;
  switch (r.kind) {
  case ReadingKind::leadingEdge:
    return fmt::format("LE R{}", r.number);
  case ReadingKind::trailingEdge:
    return fmt::format("TE R{}", r.number);
  case ReadingKind::spar:
    return fmt::format("spar {}", r.number);
  case ReadingKind::hinge:
    return fmt::format("hinge line {}", r.number);
  case ReadingKind::joint:
    return fmt::format("panel joint {}", r.number);
  case ReadingKind::centreLine:
    return "centre line";
  case ReadingKind::tip:
    return "tip outline";
  case ReadingKind::upperSurface:
    return fmt::format("{} section, top", r.number == 2 ? "tip" : "root");
  case ReadingKind::lowerSurface:
    return fmt::format("{} section, underside", r.number == 2 ? "tip" : "root");
  case ReadingKind::ribTemplate:
    return fmt::format("R{} template", r.number);
  case ReadingKind::ribThickness:
    return fmt::format("R{} thickness", r.number);
  case ReadingKind::length:
    return fmt::format("length {}", r.number);
  case ReadingKind::angle:
    return fmt::format("angle {}", r.number);
  case ReadingKind::matchMark:
    return fmt::format("match mark {}", r.number);
  }
  return {};
}

Plan withVerdict(const Plan& plan, const std::string& key, bool take) {
  Plan out = plan;
  for (Verdict& v : out.verdicts)
    if (v.key == key) return v.take = take, out;
  out.verdicts.push_back({key, take});
  return out;
}

} // namespace eup
