#include "core/section/section_choice.h"
#include "core/geometry/polyline.h"
#include "core/measure/length_text.h"
#include "core/section/measured.h"
#include "core/section/naca.h"
#include <cmath>
#include <fmt/format.h>

namespace eup {
namespace {

std::string percent(double share) {
  return formatNumber(share * 100, 2) + " %";
}

/// Half depth and middle line of a section at every grid point, changed by `change(x, middle, half)`.
template <class F> Section reshaped(const Section& s, F change) {
  Section out = s;
  for (int i = section_grid::noseSteps; i < section_grid::points; ++i) {
    const auto k = static_cast<std::size_t>(i);
    double middle = (s.upper[k].y() + s.lower[k].y()) / 2, half = (s.upper[k].y() - s.lower[k].y()) / 2;
    change(section_grid::fraction(i), middle, half);
    out.upper[k].y() = middle + half;
    out.lower[k].y() = middle - half;
  }
  return out;
}

/// The few points that lie ahead of x = 0 grow and shrink with the change.
void scaleNose(Section& s, double along, double up) {
  for (auto* surface : {&s.upper, &s.lower})
    for (int i = 0; i <= section_grid::noseSteps; ++i) {
      Point& p = (*surface)[static_cast<std::size_t>(i)];
      if (p.x() < 0) p = Point(p.x() * along, p.y() * up);
    }
}

Section withThickness(const Section& s, double wanted) {
  const double now = measure(s).thickness, k = now > 1e-9 ? wanted / now : 1;
  Section out = reshaped(s, [&](double, double&, double& half) { half *= k; });
  scaleNose(out, k, k);
  return out;
}

Section withCamber(const Section& s, double wanted) {
  const double now = measure(s).camber;
  if (now < 1e-4) { // no line to scale: an even parabola is laid in
    return reshaped(s, [&](double x, double& middle, double&) { middle += 4 * wanted * x * (1 - x); });
  }
  const double k = wanted / now;
  Section out = reshaped(s, [&](double, double& middle, double&) { middle *= k; });
  scaleNose(out, std::abs(k), 1);
  return out;
}

Section withTail(const Section& s, double wanted) {
  const SectionMeasures m = measure(s);
  const double add = (wanted - m.tailThickness) / 2, from = m.thicknessAt;
  return reshaped(s, [&](double x, double&, double& half) {
    if (x <= from) return;
    const double u = (x - from) / (1 - from);
    half = std::max(0.0, half + add * u * u);
  });
}

/// Half depths ahead of the thickest point scaled so that the nose radius is `factor` times what it was.
Section withNose(const Section& s, double factor) {
  const double from = std::max(0.05, measure(s).thicknessAt), k = std::sqrt(factor) - 1;
  // At x = 0 a cambered section's middle has risen already: it rises with the nose that is scaled ahead of it.
  const auto start = static_cast<std::size_t>(section_grid::noseSteps);
  const double risen = (s.upper[start].y() + s.lower[start].y()) / 2;
  Section out = reshaped(s, [&](double x, double& middle, double& half) {
    if (x >= from) return;
    const double share = k * std::pow(1 - x / from, 4);
    half *= 1 + share;
    middle += share * risen;
  });
  scaleNose(out, factor, std::sqrt(factor));
  return out;
}

Section filled(const Section& s) {
  const Polyline hull = lowerHull(s.lower);
  Section out = s;
  std::size_t j = 1;
  for (int i = section_grid::noseSteps; i < section_grid::points; ++i) {
    Point& p = out.lower[static_cast<std::size_t>(i)];
    while (j + 1 < hull.size() && hull[j].x() < p.x()) ++j;
    const Point &a = hull[j - 1], &b = hull[j];
    if (b.x() > a.x() && p.x() >= a.x())
      p.y() = std::min(p.y(), a.y() + (b.y() - a.y()) * (p.x() - a.x()) / (b.x() - a.x()));
  }
  return out;
}

Section blended(const Section& a, const Section& b, double share) {
  Section out = a;
  for (std::size_t i = 0; i < a.upper.size(); ++i) {
    out.upper[i] = lerp(a.upper[i], b.upper[i], share);
    out.lower[i] = lerp(a.lower[i], b.lower[i], share);
  }
  return out;
}

Section nacaOf(const std::string& digits) {
  const auto naca = readNaca(digits);
  assert(naca.ok()); // designs hold only digits that were read
  return makeNaca(naca.value());
}

Section stepped(const Section& s, const SectionStep& step) {
  switch (step.kind) {
  case StepKind::thickness:
    return withThickness(s, step.thickness);
  case StepKind::camber:
    return withCamber(s, step.camber);
  case StepKind::tail:
    return withTail(s, step.tail);
  case StepKind::nose:
    return withNose(s, step.nose);
  case StepKind::fillUndercamber:
    return filled(s);
  case StepKind::smooth:
    return smoothed(s, step.smooth);
  case StepKind::blend:
    return blended(s, nacaOf(step.with), step.share);
  }
  return s;
}

StepResult moveBetween(const Section& before, const Section& after) {
  StepResult r;
  for (const bool upper : {true, false}) // from a little behind the nose: there the surface stands upright
    for (int i = section_grid::noseSteps + 3; i < section_grid::points; ++i) {
      const auto k = static_cast<std::size_t>(i);
      const double gap = upper ? after.upper[k].y() - before.upper[k].y() : after.lower[k].y() - before.lower[k].y();
      if (std::abs(gap) > r.moved) r = {std::abs(gap), section_grid::fraction(i), upper};
    }
  return r;
}

} // namespace

ListedSection SectionChoice::plainListing() {
  return {"listed", {{0, 0}, {0.3, 0.06}, {1, 0.002}}, {{0, 0}, {0.3, -0.06}, {1, -0.002}}, true};
}

std::string sourceName(const SectionChoice& c) {
  switch (c.kind) {
  case SectionKind::naca:
    return "NACA " + c.naca;
  case SectionKind::listed:
    return c.listed.name;
  case SectionKind::traced:
    return c.traced.name;
  case SectionKind::flatUnderside:
    return "flat underside " + percent(c.drawn.thickness);
  case SectionKind::flatPlate:
    return "flat plate " + percent(c.drawn.plate);
  case SectionKind::curvedPlate:
    return fmt::format("curved plate {}, camber {}", percent(c.drawn.plate), percent(c.drawn.camber));
  case SectionKind::symmetrical:
    return "symmetrical " + percent(c.drawn.thickness);
  }
  return "";
}

double noseRadiusOf(const SectionChoice& choice, const SectionMeasures& measures) {
  const bool plain = choice.kind == SectionKind::naca && choice.steps.empty();
  if (plain) return nacaNoseRadius(readNaca(choice.naca).value());
  if (choice.kind == SectionKind::listed && choice.steps.empty())
    if (const double listed = listedNoseCentre(choice.listed.upper, choice.listed.lower).norm(); listed > 0)
      return listed;
  return measures.noseRadius;
}

std::string sourceOf(const SectionChoice& c) {
  switch (c.kind) {
  case SectionKind::naca:
    if (c.naca.size() == 5) return "NACA Report 537 (1935), mean line; Report 460 (1933), thickness";
    return c.naca.size() == 7 ? "NACA Report 492 (1934); closed form of NASA TM X-3284" : "NACA Report 460 (1933)";
  case SectionKind::listed:
    return "the listed coordinates";
  case SectionKind::traced:
    return "the traced points";
  case SectionKind::symmetrical:
    return "thickness of NACA Report 460 (1933)";
  default:
    return "drawn from its numbers";
  }
}

SectionChoice withDecided(const SectionChoice& choice, StepKind what, double value) {
  SectionChoice c = choice;
  using enum SectionKind;
  const bool thickness = what == StepKind::thickness, tail = what == StepKind::tail;
  if (c.steps.empty()) { // a step that follows would have the last word
    if (thickness && (c.kind == flatUnderside || c.kind == symmetrical))
      return c.drawn.thickness = std::clamp(value, 0.02, 0.4), c;
    if (thickness && (c.kind == flatPlate || c.kind == curvedPlate))
      return c.drawn.plate = std::clamp(value, 0.002, 0.15), c;
    if (tail && c.kind == flatUnderside) return c.drawn.tail = std::clamp(value, 0.0, 0.05), c;
    if (what == StepKind::camber && c.kind == curvedPlate) return c.drawn.camber = std::clamp(value, 0.0, 0.2), c;
  }
  SectionStep* step = nullptr;
  for (SectionStep& s : c.steps)
    if (s.kind == what) step = &s;
  if (!step) {
    if (static_cast<int>(c.steps.size()) >= mostSteps) return c;
    c.steps.push_back({});
    step = &c.steps.back();
    step->kind = what;
  }
  step->on = true;
  if (thickness) step->thickness = std::clamp(value, 0.01, 0.4);
  if (tail) step->tail = std::clamp(value, 0.0, 0.08);
  if (what == StepKind::camber) step->camber = std::clamp(value, -0.15, 0.15);
  return c;
}

ShapedSection shape(const SectionChoice& c) {
  ShapedSection out;
  switch (c.kind) {
  case SectionKind::naca:
    out.source = nacaOf(c.naca);
    break;
  case SectionKind::listed:
    out.source = makeSection(c.listed);
    break;
  case SectionKind::traced:
    if (auto fit = fitTrace(c.traced)) {
      out.trace = fit.value();
      out.source = out.trace->section;
    } else { // told by a finding; a plain section stands in so that the rest of the wing can be seen
      out.source = nacaOf("0009");
    }
    break;
  default:
    out.source = makeDrawn(c.kind, c.drawn);
  }
  out.source.name = sourceName(c);
  out.section = out.source;
  for (const SectionStep& step : c.steps) {
    const Section before = out.section;
    if (step.on) out.section = stepped(before, step);
    out.steps.push_back(moveBetween(before, out.section));
  }
  for (const SectionStep& step : c.steps)
    if (step.on) {
      out.section.name = out.source.name + ", changed";
      break;
    }
  return out;
}

} // namespace eup
