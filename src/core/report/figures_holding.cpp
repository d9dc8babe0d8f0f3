// Figures and findings of what holds wings to their fuselage and to each other: struts, wires, posts.
#include "core/report/report_parts.h"
#include "core/strength/bay_checks.h"
#include "core/wing/holding.h"
#include <fmt/format.h>

namespace eup {
namespace {

const char* forceMethod = "force method: each stretches as far as its place of the wing moves, the wing a beam of ΣEI";

void strutFigures(const WholeWing& w, const Strut& strut, const HeldStrut& s, FigureList& out) {
  const std::string key = fmt::format("strut.{}.", s.place.number + 1),
                    path = fmt::format("wings.{}.struts.{}.", w.panels.front().design.id.wing, s.place.number);
  const auto name = [&](const char* words) { return fmt::format("{}: {}", strut.name, words); };
  const auto at = [&](std::initializer_list<const char*> keys) {
    std::vector<std::string> all;
    for (const char* k : keys) all.push_back(path + k);
    return all;
  };
  const Point3 way = s.place.foot - s.place.top;
  const bool toWing = s.place.lower.has_value();
  const auto ends = toWing ? at({"out", "footOut", "footWing"}) : at({"out", "footAft", "footRight", "footUp"});
  out.add({key + "length", name("length"), s.length, Quantity::length, Stage::joins,
           toWing ? "from where it holds the one wing to where it holds the other, along its own middle"
                  : "from where it holds the wing to its foot, along its own middle",
           "√(aft² + across² + down²)",
           fmt::format("√({}² + {}² + {}²)", out.len(std::abs(way.x())), out.len(std::abs(way.y())),
                       out.len(std::abs(way.z()))),
           planeGeometry, ends, true});
  out.add({key + "toSpar", name("angle to the spar"), s.toSpar, Quantity::angle, Stage::joins,
           "between the two, on the inner side: its upper end is cut to it", "acos(strut · spar)",
           fmt::format("falls {} to its foot", out.deg(s.down)), planeGeometry, ends, true});
  if (toWing)
    out.add({key + "toFootSpar", name("angle to the other wing's spar"), s.toFootSpar, Quantity::angle, Stage::joins,
             "between the two, on the inner side: its foot is cut to it", "acos(strut · spar)",
             fmt::format("{} at its upper end", out.deg(s.toSpar)), planeGeometry, ends, true});
  const double over = std::abs(toWing ? way.z() : way.y());
  out.add({key + "aft", name(toWing ? "rakes aft by" : "runs aft by"), s.aft, Quantity::angle, Stage::joins,
           toWing ? "seen from the side, from its top to its foot, out of the upright; forward when negative"
                  : "seen from above, from its top to its foot; forward when negative",
           toWing ? "atan(aft ÷ down)" : "atan(aft ÷ across)",
           fmt::format("atan({} ÷ {})", out.len(way.x()), out.len(over)), planeGeometry, ends});
  std::string all;
  for (const StrutForce& f : s.forces)
    all += fmt::format("{}{} {:.2f} N", all.empty() ? "" : "; ", wordsOf(f.load), f.force);
  out.add({key + "force", name(s.worst.force >= 0 ? "pulled by" : "pressed by"), std::abs(s.worst.force),
           Quantity::force, Stage::joins,
           fmt::format("{}; of all loads it has least in reserve then", wordsOf(s.worst.load)),
           toWing          ? "the bends of both wings' spars against its stretch"
           : w.held.hinged ? "moments about the root's pins"
                           : "the spar's bend against the strut's stretch",
           fmt::format("pulled +, pressed −: {}", all), forceMethod, at({"out", "width", "depth", "material"}), true});
  if (s.worst.force == 0) return; // a wire that hangs slack under every load
  out.add({key + "reserve", name("reserve"), s.reserve, Quantity::ratio, Stage::joins,
           s.buckles            ? "before it buckles"
           : s.worst.force >= 0 ? "before it tears"
                                : "before it is crushed",
           s.buckles ? "π² E i² A ÷ length² ÷ force, hinged at both ends" : "strength × area ÷ force",
           fmt::format("{:.1f} N ÷ {:.2f} N", s.holds, std::abs(s.worst.force)),
           s.buckles ? "Euler's strut" : "materials' table", at({"width", "depth", "material"}), true});
}

void postFigures(const WholeWing& w, const Posts& posts, FigureList& out) {
  const auto standing = postsOf(w, posts);
  if (!standing) return;
  const std::string path = fmt::format("wings.{}.posts.", w.panels.front().design.id.wing);
  const std::vector<std::string> from{path + "front", path + "rear", path + "height", path + "incidence"};
  for (const bool front : {true, false}) {
    const double under = front ? standing->front : standing->rear;
    out.add({front ? "posts.front" : "posts.rear", front ? "Front post, length" : "Rear post, length",
             standing->length(under, posts), Quantity::length, Stage::joins,
             "from the wing's underside to its end in the tube",
             front ? "height + what sits in the tube" : "height there + what sits in the tube",
             fmt::format("{} + {}", out.len(under), out.len(posts.inTube)), planeGeometry, from, true});
  }
  out.add({"posts.apart", "Tubes stand apart", standing->apart, Quantity::length, Stage::joins,
           "middle to middle, along the fuselage", "way between the posts along the chord, turned by the incidence",
           fmt::format("from {:.1f} to {:.1f} % of {}", posts.front * 100, posts.rear * 100,
                       out.len(w.panels.front().design.panel.rootChord)),
           planeGeometry, from, true});
  out.add({"posts.step", "Rear post is shorter by", standing->front - standing->rear, Quantity::length, Stage::joins,
           "at the underside; with tubes of one height it sets the incidence",
           "incidence over the way between them, and the underside's own height there",
           fmt::format("{} − {}", out.len(standing->front), out.len(standing->rear)), planeGeometry, from});
}

} // namespace

void holdingFigures(const TrueWing& aircraft, const WholeWing& w, FigureList& out) {
  const Wing& decided = aircraft.design.wings[static_cast<std::size_t>(w.panels.front().design.id.wing)];
  const std::string hinged = fmt::format("wings.{}.hinged", w.panels.front().design.id.wing), &by = w.held.by;
  for (const HeldStrut& s : w.held.struts)
    strutFigures(w, decided.struts[static_cast<std::size_t>(s.place.number)], s, out);
  if (w.held.held && w.held.bareRoot != 0) {
    const double with = worstAt(w.loads, 0).load.moment(0);
    out.add({"struts.relief",
             "Struts take off the root's bending",
             1 - std::abs(with / w.held.bareRoot),
             Quantity::percent,
             Stage::joins,
             "of the worst load's, at the root",
             "1 − with ÷ without",
             fmt::format("1 − {:.0f} ÷ {:.0f} N·mm", std::abs(with), std::abs(w.held.bareRoot)),
             forceMethod,
             {by + "out", hinged},
             true});
    if (w.held.pressed > 0)
      out.add({"struts.press",
               "They press the spar inwards by",
               w.held.pressed,
               Quantity::force,
               Stage::joins,
               "between the root and the outermost of them, at most",
               "Σ pull × its share along the spar",
               fmt::format("in the caps' stress; as a strut hinged at both ends the wing bears {:.0f} N",
                           w.held.pressedHolds),
               "statics; Euler's strut",
               {by + "depth", by + "out"}});
  }
  postFigures(w, decided.posts, out);
}

void holdingFindings(const TrueWing& aircraft, std::vector<Finding>& out) {
  for (const WholeWing& w : aircraft.wings) {
    const int number = w.panels.front().design.id.wing;
    const Wing& decided = aircraft.design.wings[static_cast<std::size_t>(number)];
    const auto say = [&](const char* key, Severity severity, std::string what, std::string detail, std::string remedy,
                         std::vector<std::string> keys) {
      for (std::string& k : keys) k.insert(0, fmt::format("wings.{}.", number));
      Finding f{key, severity,       Stage::joins, std::move(what), std::move(detail), std::move(remedy),
                {},  std::move(keys)};
      f.wing = number;
      out.push_back(std::move(f));
    };
    for (std::size_t i = 0; w.mirrored && i < decided.struts.size(); ++i) {
      const Strut& strut = decided.struts[i];
      const std::string path = fmt::format("struts.{}.", i);
      const HeldStrut* held = nullptr;
      for (const HeldStrut& s : w.held.struts)
        if (s.place.number == static_cast<int>(i)) held = &s;
      if (!held) {
        const auto len = [&](double mm) { return told(mm, Quantity::length, aircraft.design.unit); };
        const auto place = [&](int panel, StrutOn on, int spar, double far, int rib) {
          return on == StrutOn::rib ? fmt::format("rib {} in panel {}", rib, panel)
                                    : fmt::format("spar {} in panel {} at {}", spar, panel, len(far));
        };
        const std::string top = place(strut.panel, strut.on, strut.spar, strut.out, strut.rib);
        if (strut.foot == Footing::wing && strut.footWing == number + 1)
          say("strut.nowhere", Severity::warning, fmt::format("The {} holds nothing", strut.name),
              "Its foot is to stand on the wing that it holds.", "Let it stand on another wing, or on the fuselage.",
              {path + "footWing", path + "foot"});
        else if (strut.foot == Footing::wing)
          say("strut.nowhere", Severity::warning, fmt::format("The {} holds nothing", strut.name),
              fmt::format("It needs {}, and on wing {} {}; one of them is not there.", top, strut.footWing,
                          place(strut.footPanel, strut.footOn, strut.footSpar, strut.footOut, strut.footRib)),
              "Let both ends hold what is there, of wings with two hands.",
              {path + "out", path + "footWing", path + "footPanel", path + "footSpar", path + "footOut"});
        else
          say("strut.nowhere", Severity::warning, fmt::format("The {} holds nothing", strut.name),
              fmt::format("There is no {}.", top), "Let it hold a spar or a rib that is there.",
              {path + "panel", path + "spar", path + "out"});
        continue;
      }
      if (held->reserve < usualReserve)
        say("strut.reserve", held->reserve < 1 ? Severity::serious : Severity::warning,
            held->reserve < 1 ? fmt::format("The {} will not hold", strut.name)
                              : fmt::format("Little reserve in the {}", strut.name),
            fmt::format("It {} at {:.2f} of the force, {}. {} or more is usual.", held->buckles ? "buckles" : "gives",
                        held->reserve, wordsOf(held->worst.load), usualReserve),
            held->buckles ? "Make it thicker, of a tube, or hold its middle."
                          : "Make it thicker, or of stronger stuff.",
            {path + "depth", path + "material"});
      constexpr double flat = 0.17; // of its pull: below 10° a strut does little else than press the spar
      const double across = held->ends.front().drawsDown;
      if (std::abs(across) < flat)
        say("strut.flat", Severity::note, fmt::format("The {} lies almost along the wing", strut.name),
            fmt::format("Only {:.0f} % of its pull is square to the wing.", 100 * std::abs(across)),
            "Set its foot lower.", {path + (held->place.lower ? "footOut" : "footUp")});
    }
    if (const auto posts = postsOf(w, decided.posts)) {
      if (posts->apart <= 0)
        say("posts.order", Severity::warning, "The rear post stands before the front one",
            "They are told from the nose.", "Change them over.", {"posts.front", "posts.rear"});
      if (std::min(posts->front, posts->rear) <= 0)
        say("posts.low", Severity::serious, "A post has no length above its tube",
            "The wing's underside there lies at the end of the tube or below it.", "Raise the wing, or turn it less.",
            {"posts.height", "posts.incidence"});
    }
    if (w.held.pressedHolds > 0 && w.held.pressed > w.held.pressedHolds / 3) {
      say("strut.press", w.held.pressed > w.held.pressedHolds ? Severity::serious : Severity::warning,
          "The struts press the spar hard along its run",
          fmt::format("By {:.0f} N; the wing would buckle as a strut at {:.0f} N. Its bend grows by that.",
                      w.held.pressed, w.held.pressedHolds),
          "Set the feet lower, or hold the wing farther in.", {});
      out.back().decisions = {w.held.by + "out", w.held.by + "foot"};
    }
    for (const LoadCase::What load : w.held.falls)
      say("strut.falls", Severity::serious, "Nothing holds the wing up on its pins",
          fmt::format("While it is {}, {}.", wordsOf(load),
                      w.held.held ? "its wires hang slack, or what they are made fast to turns as well"
                                  : "no strut or wire is there"),
          w.held.held ? "Fit wires above it too, or struts that can be pressed, or hold one wing to the fuselage."
                      : "Add a strut, or hold its root fast.",
          {"hinged"});
  }
}

} // namespace eup
