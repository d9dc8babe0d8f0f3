// Figures and findings of what is built in before a panel is closed: runs, lightening holes, hard points.
#include "core/report/finder.h"
#include "core/report/report_parts.h"
#include <algorithm>
#include <cmath>
#include <fmt/format.h>

namespace eup {
namespace {

/// Where a run goes through the ribs, from its inner end.
struct RunWay {
  std::vector<const Rib*> ribs;
  std::vector<const RunHole*> holes;
  double length = 0; ///< mm from end to end, slack not counted
  double aside = 0;  ///< mm that it is led aside at most
};

RunWay wayOf(const TruePanel& w, int run) {
  RunWay out;
  std::optional<Point3> last;
  for (const Rib& rib : w.frame.ribs)
    for (const RunHole& hole : rib.runs)
      if (hole.run == run) {
        out.ribs.push_back(&rib), out.holes.push_back(&hole);
        out.aside = std::max(out.aside, std::abs(hole.aside));
        const Point3 at = rib.inPanel(hole.middle);
        if (last) out.length += (at - *last).norm();
        last = at;
      }
  const Run& r = w.design.runs[static_cast<std::size_t>(run)];
  const double to = std::min(r.to, w.shape.loft.span());
  if (out.ribs.empty()) out.length = std::max(to - r.from, 0.0);
  if (!out.ribs.empty()) // and from its ends to the first and the last rib
    out.length += std::max(out.ribs.front()->t() - r.from, 0.0) + std::max(to - out.ribs.back()->t(), 0.0);
  return out;
}

} // namespace

void fittingFigures(const TruePanel& w, FigureList& out) {
  for (std::size_t k = 0; k < w.design.runs.size(); ++k) {
    const Run& r = w.design.runs[k];
    const RunWay way = wayOf(w, static_cast<int>(k));
    const std::string key = fmt::format("run.{}.", k + 1), path = fmt::format("runs.{}.", k);
    const std::vector<std::string> from{path + "from", path + "to", path + "xFrom", path + "xTo", path + "slack"};
    const double slack = r.kind == RunKind::tube ? 0 : 2 * r.slack;
    const std::string through =
        way.ribs.empty() ? std::string("through no rib")
                         : fmt::format("through {} to {}", way.ribs.front()->name(), way.ribs.back()->name());
    out.add({key + "length", "Cut to: " + r.name, way.length + slack, Quantity::length, Stage::surfaces, through,
             "from hole to hole + slack at both ends", fmt::format("{} + {}", out.len(way.length), out.len(slack)),
             planeGeometry, from, true});
    if (r.kind == RunKind::lead && way.length + slack > r.ownLength)
      out.add({key + "extension",
               "Extension: " + r.name,
               way.length + slack - r.ownLength,
               Quantity::length,
               Stage::surfaces,
               "with a plug at its end: every hole has to let it through",
               "length − what comes with it",
               fmt::format("{} − {}", out.len(way.length + slack), out.len(r.ownLength)),
               planeGeometry,
               {path + "ownLength", path + "slack"}});
    for (std::size_t i = 0; i < way.ribs.size(); ++i)
      out.add(
          {fmt::format("{}{}.x", key, way.ribs[i]->name()),
           fmt::format("{}: hole in {}", r.name, way.ribs[i]->name()),
           way.holes[i]->middle.x(),
           Quantity::length,
           Stage::surfaces,
           fmt::format("from the nose along the chord line; {} over it, {} across{}", out.len(way.holes[i]->middle.y()),
                       out.len(way.holes[i]->diameter),
                       way.holes[i]->aside != 0 ? fmt::format("; led {} aside", out.len(std::abs(way.holes[i]->aside)))
                                                : std::string()),
           "straight from above; aside where less than the least wood would be left",
           "",
           planeGeometry,
           {path + "xFrom", path + "xTo", path + "high", path + "hole"},
           false,
           way.ribs[i]->number});
  }
  double saved = 0;
  int holes = 0;
  for (const Rib& rib : w.frame.ribs)
    for (const RunHole& hole : rib.lightening)
      saved += pi / 4 * hole.diameter * hole.diameter * rib.thickness *
               w.design.tables.named(woodOf(w.design.ribs, rib)).density * 1e-6,
          ++holes;
  if (holes > 0)
    out.add({"lightening.mass",
             "Lightening holes save",
             saved,
             Quantity::mass,
             Stage::ribs,
             fmt::format("in one hand: {} holes", holes),
             "Σ area × thickness × density",
             fmt::format("{} holes", holes),
             "plane geometry",
             {"lightening.bored", "lightening.rim", "lightening.least", "lightening.most"}});
  for (const HardPointMade& made : w.hardPoints) {
    const HardPoint& h = w.design.hardPoints[static_cast<std::size_t>(made.number)];
    const std::string key = fmt::format("hardPoint.{}.", made.number + 1),
                      path = fmt::format("hardPoints.{}.", made.number);
    out.add({key + "there",
             "Depth there: " + h.name,
             made.there,
             Quantity::length,
             Stage::surfaces,
             fmt::format("between the covers over the block's width, {} out", out.len(made.middle.y())),
             "the least of it",
             fmt::format("the block takes {}", out.len(h.depth)),
             ruledLoft,
             {path + "at", path + "chord", path + "width"}});
    out.add({key + "length",
             "Block fits in: " + h.name,
             made.length,
             Quantity::length,
             Stage::surfaces,
             fmt::format("between R{} and R{}", made.ribInside, made.ribOutside),
             "as long as decided, or the bay's clear",
             fmt::format("bay {}", out.len(made.bay)),
             planeGeometry,
             {path + "at", path + "length"},
             true});
  }
}

void fittingFindings(Finder f) {
  const auto& d = f.w.design;
  for (std::size_t k = 0; k < d.runs.size() && d.built == Built::ribs; ++k) {
    const Run& r = d.runs[k];
    const std::string path = fmt::format("runs.{}.", k);
    if (r.to <= r.from || r.from > f.w.shape.loft.span()) {
      f.say({"run.none",
             Severity::warning,
             Stage::surfaces,
             fmt::format("The {} goes nowhere", r.name),
             fmt::format("From {} to {}", f.len(r.from), f.len(r.to)),
             "Let it end farther out than it begins.",
             {},
             {path + "from", path + "to"}});
      continue;
    }
    SharedFault blocked;
    double aside = 0;
    for (const Rib& rib : f.w.frame.ribs)
      for (const RunHole& hole : rib.runs) {
        if (hole.run != static_cast<int>(k)) continue;
        if (!hole.clear) blocked.add(rib.number, 1);
        aside = std::max(aside, std::abs(hole.aside));
      }
    if (!blocked.ribs.empty())
      f.say({"run.blocked",
             Severity::serious,
             Stage::surfaces,
             fmt::format("The {} cannot get through {}", r.name, ribNames(blocked.ribs)),
             fmt::format("A hole of {} would leave less than {} of wood, or meet a spar, a joiner or another hole",
                         f.len(r.hole), f.len(d.ribs.rim)),
             r.kind == RunKind::tube
                 ? "Move it along the chord, or take a thinner one."
                 : "A smaller hole (pull the lead in without its plug), or another place along the chord.",
             blocked.ribs.front(),
             {path + "hole", path + "xFrom", path + "xTo", path + "high"}});
    constexpr double much = 8; // mm
    if (aside > much)
      f.say({"run.aside",
             Severity::note,
             Stage::surfaces,
             fmt::format("The {} is led aside", r.name),
             fmt::format("By up to {} along the chord, round what is in its way", f.len(aside)),
             "Draw it through before the skin is on, or lay it elsewhere.",
             {},
             {path + "xFrom", path + "xTo"}});
  }
  for (const HardPointMade& made : f.w.hardPoints) {
    const HardPoint& h = d.hardPoints[static_cast<std::size_t>(made.number)];
    const std::string path = fmt::format("hardPoints.{}.", made.number);
    if (made.offPanel)
      f.say({"hardPoint.off",
             Severity::serious,
             Stage::surfaces,
             fmt::format("The {} lies off the panel", h.name),
             fmt::format("At {}; the panel is {} long", f.len(h.at), f.len(f.w.shape.loft.span())),
             "Move it in.",
             {},
             {path + "at"}});
    if (made.there < h.depth)
      f.say({"hardPoint.deep",
             Severity::serious,
             Stage::surfaces,
             fmt::format("The {}'s block is deeper than the wing", h.name),
             fmt::format("{} against {}", f.len(h.depth), f.len(std::max(made.there, 0.0))),
             "A thinner block, a narrower one, or farther forward.",
             {},
             {path + "depth", path + "chord", path + "width"}});
    if (made.onSpar)
      f.say({"hardPoint.spar",
             Severity::warning,
             Stage::surfaces,
             fmt::format("A spar runs through the {}'s block", h.name),
             "It has to be fitted round the caps, or stand before or behind them",
             "Move it along the chord.",
             {},
             {path + "chord", path + "width"}});
    if (made.bay < h.length - 0.01)
      f.say({"hardPoint.bay",
             Severity::note,
             Stage::surfaces,
             fmt::format("The {}'s block is longer than its bay", h.name),
             fmt::format("R{} to R{} leave {}", made.ribInside, made.ribOutside, f.len(made.bay)),
             "It is cut to the bay, and hung on both ribs.",
             {},
             {path + "length", path + "at"}});
  }
}

} // namespace eup
