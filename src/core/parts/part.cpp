#include "core/parts/part.h"
#include "core/geometry/polyline.h"
#include "core/parts/diagonals.h"
#include <algorithm>
#include <array>
#include <fmt/format.h>
#include <functional>

namespace eup {
namespace {

using Piece = Part::What;

/// Collects the parts of one panel.
class PanelParts {
public:
  PanelParts(const PanelBrief& brief, const PanelLoft& panelLoft, const Frame& frame)
      : d(brief), loft(panelLoft), spars(frame.spars), ribs(frame.ribs) {}
  std::vector<Part> out;

  void add(Piece what, std::string name, std::string material, double grams, double at, std::optional<int> rib = {}) {
    if (grams > 0) out.push_back({what, std::move(name), std::move(material), grams, {}, at, rib});
  }

  /// What runs along the span: g/mm at every rib, and nothing beyond where it `reaches`.
  void addRunning(Piece what, std::string name, std::string material, const std::function<double(const Rib&)>& at) {
    Part part{what, std::move(name), std::move(material), 0, {}, 0, {}};
    double before = ribs.empty() ? 0 : at(ribs.front());
    for (std::size_t i = 1; i < ribs.size(); ++i) {
      const double from = ribs[i - 1].t(), to = ribs[i].t(), now = at(ribs[i]);
      if (to > from && before + now > 0) {
        part.runs.push_back({from, to, before, now});
        part.grams += (before + now) / 2 * (to - from);
      }
      before = now;
    }
    if (part.grams > 0) out.push_back(std::move(part));
  }

  double heavy(const std::string& material) const { return d.tables.named(material).density * 1e-6; } // g/mm³
  double tOf(const Rib& rib) const { return std::clamp(rib.t(), 0.0, loft.span()); }
  double depthAt(const Rib& rib, double x) const {
    const double t = tOf(rib), f = std::clamp(x / loft.frameAt(t).chord, 0.0, 1.0);
    return std::max(loft.at(Face::upper, f, t).y() - loft.at(Face::lower, f, t).y(), 0.0);
  }

  void addRib(const Rib& rib) {
    add(Piece::ribs, rib.name(), d.ribs.material, rib.cutArea * rib.thickness * heavy(d.ribs.material), rib.t(),
        rib.number);
    const CapStrips& c = d.capStrips;
    const double arc = (c.top ? rib.upperRun.capArc : 0) + (c.bottom ? rib.lowerRun.capArc : 0);
    add(Piece::capStrips, rib.name() + ", cap strips", c.material, arc * c.thickness * c.width * heavy(c.material),
        rib.t(), rib.number);
  }

  void addEdges() {
    const LeadingEdge& le = d.leadingEdge;
    addRunning(Piece::leadingEdge, "leading edge", le.material, [&](const Rib& rib) {
      switch (le.kind) {
      case LeadingEdgeKind::none:
        return 0.0;
      case LeadingEdgeKind::onEdge:
        return d.leading.width * d.leading.onRib() * heavy(le.material);
      case LeadingEdgeKind::square:
      case LeadingEdgeKind::shaped:
        break;
      }
      return 0.85 * d.leading.onRib() * depthAt(rib, d.leading.onRib()) * heavy(le.material);
    });
    const TrailingEdge& te = d.trailingEdge;
    addRunning(Piece::trailingEdge, "trailing edge", te.material, [&](const Rib& rib) {
      if (te.kind == TrailingEdgeKind::none) return 0.0;
      const double chord = loft.frameAt(tOf(rib)).chord;
      const double width = d.trailing.onRib();
      const double area =
          te.kind == TrailingEdgeKind::wedge ? width * depthAt(rib, chord - width) / 2 : 2 * width * te.sheet;
      return area * heavy(te.material);
    });
  }

  void addSkins() {
    const Sheeting& s = d.sheeting;
    addRunning(Piece::sheet, "nose sheeting", s.material, [&](const Rib& rib) {
      return (rib.upperRun.sheetWood + rib.lowerRun.sheetWood) * s.thickness * heavy(s.material);
    });
    addRunning(Piece::covering, "covering", d.stiffening.covering, [&](const Rib& rib) {
      return d.stiffening.covers(true, true) * loft.frameAt(tOf(rib)).chord *
             d.tables.covering(d.stiffening.covering).areaWeight * 1e-6;
    });
  }

  void addSpar(const SparLine& line) {
    const Spar& s = d.spars[static_cast<std::size_t>(line.index)];
    const auto along = [&](Piece what, const std::string& name, const std::string& material, auto area) {
      const std::size_t before = out.size();
      addRunning(what, name, material,
                 [&](const Rib& rib) { return line.reaches(tOf(rib)) ? area(tOf(rib)) * line.stretch : 0.0; });
      return out.size() > before ? &out.back() : nullptr;
    };
    // Straight between the ribs it is only nearly what it weighs: where a cap ends or changes in a bay it is not.
    const auto exactly = [&](Part* part, const Spar& alone) {
      if (!part) return;
      const double grams = sparGrams(alone, line, d.tables), k = grams / part->grams;
      part->grams = grams;
      for (Part::Run& run : part->runs) run.atFrom *= k, run.atTo *= k;
    };
    if (s.kind == SparKind::fullDepth) {
      exactly(along(Piece::spars, s.name, s.sheetMaterial,
                    [&](double t) {
                      return std::max(line.upperSeat.at(t).y() - line.lowerSeat.at(t).y(), 0.0) * s.sheet *
                             heavy(s.sheetMaterial);
                    }),
              s);
      return;
    }
    for (const bool up : {true, false}) {
      const Cap& fitted = up ? s.top : s.bottom;
      Spar alone = s;
      (up ? alone.bottom : alone.top).fitted = false;
      exactly(along(Piece::spars, s.name + (up ? ", top cap" : ", bottom cap"), fitted.material,
                    [&](double t) {
                      const Cap cap = capAt(fitted, line.share(t)); // of another wood further out, where decided
                      return cap.fitted ? capArea(cap) * heavy(cap.material) : 0.0;
                    }),
              alone);
    }
    along(Piece::webs, s.name + ", webs", s.webMaterial, [&](double t) {
      const auto deep = capMiddles(s, line, t);
      return deep ? *deep * webWidthAt(s, line.share(t)) * heavy(s.webMaterial) : 0.0;
    });
  }

  /// From the first spar to the next line behind it.
  void addDiagonals() {
    const Stiffening& s = d.stiffening;
    if (s.diagonals == Diagonals::none || spars.empty()) return;
    std::vector<const SparLine*> order;
    for (const SparLine& line : spars) order.push_back(&line);
    std::sort(order.begin(), order.end(),
              [](const SparLine* a, const SparLine* b) { return a->middle.root.x() < b->middle.root.x(); });
    const SparLine& front = *order.front();
    const SparLine* behind = order.size() > 1 ? order[1] : nullptr;
    const auto place = [&](const Rib& rib, bool atFront, bool top) -> Point3 {
      const double t = tOf(rib);
      if (const SparLine* line = atFront ? &front : behind) {
        const Point p = top ? line->upperSeat.at(t) : line->lowerSeat.at(t);
        return {p.x(), t, p.y()};
      }
      const double chord = loft.frameAt(t).chord;
      const Point p = loft.at(top ? Face::upper : Face::lower, 1 - d.trailing.onRib() / chord, t);
      return {p.x(), t, p.y()};
    };
    std::vector<double> lengths(ribs.size(), 0.0); // bay by bay
    for (const DiagonalBar& bar : diagonalBars(s, static_cast<int>(ribs.size()) - 1)) {
      const Rib &in = ribs[static_cast<std::size_t>(bar.bay - 1)], &away = ribs[static_cast<std::size_t>(bar.bay)];
      if (!front.reaches(tOf(away)) || (behind && !behind->reaches(tOf(away)))) continue;
      const Point3 from = place(in, bar.fromFront, bar.fromFront ? bar.topInFront : bar.topBehind),
                   to = place(away, !bar.fromFront, bar.fromFront ? bar.topBehind : bar.topInFront);
      lengths[static_cast<std::size_t>(bar.bay)] += (to - from).norm();
    }
    for (std::size_t bay = 1; bay < ribs.size(); ++bay)
      add(Piece::diagonals, fmt::format("diagonals, bay {}", bay), s.material,
          lengths[bay] * s.width * s.depth * heavy(s.material), (tOf(ribs[bay - 1]) + tOf(ribs[bay])) / 2);
  }

  void addTip(const TipShape& tip) {
    const Tip& t = d.tip;
    double volume = 0;
    switch (t.kind) {
    case TipKind::square:
    case TipKind::rounded:
      return;
    case TipKind::plate:
      volume = std::abs(signedArea(tip.plate)) * t.thickness;
      break;
    case TipKind::outline: {
      Polyline ring = tip.edge;
      ring.insert(ring.end(), tip.inner.rbegin(), tip.inner.rend());
      volume = std::abs(signedArea(ring)) * t.thickness;
      break;
    }
    case TipKind::bow:
      volume = (tip.longest + tip.shortest) / 2 * t.bowWidth * t.thickness * t.strips;
      break;
    case TipKind::block:
      volume = tip.area * ribs.back().depth / 2;
      break;
    }
    add(Piece::tip, "tip", tipWood, volume * heavy(tipWood), loft.span());
  }

private:
  const PanelBrief& d;
  const PanelLoft& loft;
  const std::vector<SparLine>& spars;
  const std::vector<Rib>& ribs;
};

} // namespace

double sparGrams(const Spar& spar, const SparLine& line, const Tables& tables) {
  const auto heavyAt = [&](double t) { // g per mm of the panel's span
    if (spar.kind == SparKind::fullDepth)
      return std::max(line.upperSeat.at(t).y() - line.lowerSeat.at(t).y(), 0.0) * spar.sheet *
             tables.named(spar.sheetMaterial).density * 1e-6;
    double sum = 0;
    for (const Cap& fitted : {spar.top, spar.bottom}) {
      const Cap cap = capAt(fitted, line.share(t));
      if (cap.fitted) sum += capArea(cap) * tables.named(cap.material).density * 1e-6;
    }
    return sum;
  };
  // Simpson's rule between the places where a cap changes: exact for what tapers in width and depth.
  std::vector<double> places{0, 1};
  for (const Cap& cap : {spar.top, spar.bottom}) {
    if (cap.changes) places.push_back(cap.changesAt);
    if (cap.doubled) places.push_back(cap.doubledTo);
    if (cap.drops) places.push_back(cap.dropsAt);
  }
  std::sort(places.begin(), places.end());
  double sum = 0;
  constexpr double hair = 1e-9; // each stretch with what lies inside its ends
  for (std::size_t i = 1; i < places.size(); ++i) {
    const double from = places[i - 1] * line.end, to = places[i] * line.end;
    sum += (to - from) * (heavyAt(from + hair) + 4 * heavyAt((from + to) / 2) + heavyAt(to - hair)) / 6;
  }
  return line.stretch * sum;
}

std::vector<Part> partsOf(const PanelBrief& d, const PanelLoft& loft, const Frame& frame,
                          const std::optional<TipShape>& tip) {
  PanelParts parts(d, loft, frame);
  for (const Rib& rib : frame.ribs) parts.addRib(rib);
  for (const Rib& rib : frame.riblets) parts.addRib(rib);
  parts.addEdges();
  parts.addSkins();
  for (const SparLine& line : frame.spars) parts.addSpar(line);
  parts.addDiagonals();
  if (tip) parts.addTip(*tip);
  return std::move(parts.out);
}

} // namespace eup
