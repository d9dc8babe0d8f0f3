// Figures of what holds a join together: the brace's strength and glue, the joiner, its holes, what a fault would do.
#include "core/assembly/part_words.h"
#include "core/report/finder.h"
#include "core/report/report_parts.h"
#include <fmt/format.h>

namespace eup {
namespace {

constexpr const char* bendingTheory = "bending theory of beams";

void braceStrengthFigures(const TruePanel& w, const BraceTold& of, const BraceStrength& s, FigureList& out) {
  if (s.stress <= 0) return;
  const Brace& b = of.brace;
  const std::vector<std::string> from{of.decision("thickness"), of.decision("material"), of.decision("side"),
                                      "flying.loadFactor", "flying.mass"};
  out.add({of.key("stress"), of.label("Brace stress"), s.stress, Quantity::stress, Stage::joins,
           w.join.braces.size() > 1
               ? "at its edges, at the join; the braces carry the bending there, each by its stiffness"
               : "at its edges, at the join; the brace alone carries the bending there",
           "6 M ÷ (n t h²), n plates of thickness t and depth h",
           fmt::format("6 × {:.0f} N·mm ÷ ({} × {} × ({})²) = {:.1f} MPa", s.share * w.strength.join.moment,
                       of.decided.plates(), out.len(of.decided.thickness), out.len(b.depthRoot), s.stress),
           bendingTheory, from});
  const Material& m = w.design.tables.named(of.decided.material);
  out.add({of.key("reserve"), of.label("Brace reserve"), s.reserve, Quantity::ratio, Stage::joins, "at the join",
           "strength ÷ stress",
           fmt::format("{:.1f} MPa ({}) ÷ {:.1f} MPa = {:.2f}", s.reserve * s.stress, m.label, s.stress, s.reserve),
           m.source, from, true});
  const std::vector<std::string> glue{of.decision("toRib"), of.decision("side"), "glue", "flying.loadFactor",
                                      "flying.mass"};
  out.add({of.key("glue"), of.label("Glue reserve of a leg"), s.glueReserve, Quantity::ratio, Stage::joins,
           "the shorter leg, glued over its whole face to spar and webs",
           "shear strength of balsa, or of the glue where that is less, ÷ (M r ÷ Ip + V ÷ A) over the glued face",
           fmt::format("{:.1f} MPa ÷ {:.3f} MPa = {:.2f}", s.glueStrength, s.glueStress, s.glueReserve),
           "eccentrically loaded joint; the wood beside the glue shears first: USDA Wood Handbook, from memory", glue});
  out.add({of.key("gluedLeg"), of.label("Glued leg for reserve 2"), s.gluedLeg, Quantity::length, Stage::joins,
           "each leg, at least, from the join", "the length at which that reserve is 2",
           fmt::format("as decided {}", out.len(std::min(b.outer.length, b.inner.length))),
           "eccentrically loaded joint", glue, true});
}

const char* alongWords(JoinerLine along) {
  switch (along) {
  case JoinerLine::across:
    return "straight through the join";
  case JoinerLine::top:
    return "in line with the panel's top";
  case JoinerLine::middle:
    return "in line with the panel's middle";
  case JoinerLine::underside:
    return "in line with the panel's underside";
  }
  return "";
}

void rodFigures(const TruePanel& w, FigureList& out) {
  if (!w.joiner) return;
  const JoinerRod& rod = *w.joiner;
  const Joiner& j = w.design.join.joiner;
  const JoinStrength& s = w.strength.join;
  const bool centre = w.join.centre;
  const std::vector<std::string> line{"joiner.along", "joiner.fraction", "join.dihedral.rise", "join.dihedral.angle"};
  out.add({"joiner.bend", "Joiner bend", rod.bend, Quantity::angle, Stage::joins, "between its legs, seen from behind",
           centre ? "2 (Γ + slope in the panel)" : "Γ − Γ inside, and its slope in either panel",
           fmt::format("folded {}, and the leg slopes {} in the panel: {}", out.deg(2 * w.join.fold),
                       out.deg(rod.slope), rod.bend == 0 ? "straight" : out.deg(rod.bend)),
           planeGeometry, line, true});
  if (j.along != JoinerLine::across)
    out.add({"joiner.levelAngle", "Dihedral for a straight joiner", rod.levelAngle, Quantity::angle, Stage::joins,
             std::string("half of the angle at the join; then it runs ") + alongWords(j.along) + " on both sides",
             "what the line rises inside less what it rises outside, halved",
             fmt::format("it slopes {} in this panel: {}", out.deg(rod.slope), out.deg(rod.levelAngle)), planeGeometry,
             line});
  const auto leg = [&](const char* key, const char* label, double length, int rib) {
    out.add({key,
             label,
             length,
             Quantity::length,
             Stage::joins,
             fmt::format("from the join to R{}, along it", rib),
             "way to that rib ÷ cos slope",
             fmt::format("= {}", out.len(length)),
             planeGeometry,
             {"joiner.toRib"},
             true});
  };
  leg("joiner.leg", centre ? "Joiner leg" : "Joiner leg outwards", rod.reach, rod.toRib);
  if (!centre) leg("joiner.legInside", "Joiner leg inwards", rod.reachInside, rod.toRibInside);
  if (s.rodStress <= 0) return;
  const std::vector<std::string> from{"joiner.diameter", "joiner.bore", "joiner.material", "flying.loadFactor",
                                      "flying.mass"};
  const Material& m = w.design.tables.named(j.material);
  out.add(
      {"joiner.stress", "Joiner stress", s.rodStress, Quantity::stress, Stage::joins, "at the join",
       "32 M D ÷ (π (D⁴ − d⁴))",
       fmt::format("{:.0f} N·mm, D {}, d {}: {:.1f} MPa", s.moment, out.len(j.diameter), out.len(j.bore), s.rodStress),
       bendingTheory, from});
  out.add({"joiner.reserve", "Joiner reserve", s.rodReserve, Quantity::ratio, Stage::joins, "at the join",
           "strength ÷ stress",
           fmt::format("{:.1f} MPa ({}) ÷ {:.1f} MPa = {:.2f}", s.rodReserve * s.rodStress, m.label, s.rodStress,
                       s.rodReserve),
           m.source, from, true});
  out.add(
      {"joiner.ribs",
       "Ribs against crushing, reserve",
       s.crushReserve,
       Quantity::ratio,
       Stage::joins,
       fmt::format("{}, on the edge of the rib's hole; the sleeve glued to spar and webs helps",
                   socketPlace(s.crushed, s.crushedMouth, centre)),
       !s.crushedMouth ? "D × Σ thickness × strength ÷ (M ÷ l), D of the sleeve, wood across its grain, ply as it is"
       : s.crushed.beyond
           ? "D × Σ thickness × strength ÷ (M ÷ l + V), D of the sleeve, wood across its grain, ply as it is"
           : "D × Σ thickness × strength ÷ (M ÷ l − V), D of the sleeve, wood across its grain, ply as it is",
       fmt::format("{:.1f} N ÷ {:.1f} N = {:.2f}; l {}; rib of {}, {} of birch ply on it", s.crushHolds, s.crushForce,
                   s.crushReserve, out.len(s.crushed.reach),
                   w.design.tables.named(s.crushed.materialAt(s.crushedMouth)).label, out.len(j.facing)),
       "equilibrium of the rod's leg on two ribs; strengths of the materials' table",
       {"joiner.facing", "joiner.sleeve", "joiner.toRib", "ribs.rootThickness", "ribs.material", "flying.loadFactor"},
       true});
  out.add({"joiner.bearing",
           "Joiner presses its sleeve",
           s.bearing,
           Quantity::stress,
           Stage::joins,
           fmt::format("{}, over the rod's diameter", socketPlace(s.pressed, s.pressedMouth, centre)),
           s.pressed.beyond ? "(6 M ÷ l² + 4 V ÷ l) ÷ D: the load acts beyond the socket's mouth"
           : s.pressedMouth ? "(4 V ÷ l − 6 M ÷ l²) ÷ D: the load acts nearer than half the leg"
                            : "(6 M ÷ l² − 2 V ÷ l) ÷ D",
           fmt::format("M {:.0f} N·mm, V {:.2f} N, l {}: {:.2f} MPa", s.moment, s.shear, out.len(s.pressed.reach),
                       s.bearing),
           "load spread straight along the socket",
           {"joiner.toRib", "joiner.diameter", "flying.loadFactor"}});
  out.add(
      {"joiner.socket",
       "Joiner in its socket, reserve",
       s.socketReserve,
       Quantity::ratio,
       Stage::joins,
       "pressed by its sleeve, which is taken to be no softer; a thin tube wants a plug there",
       "strength pressed across ÷ what presses",
       fmt::format("{:.1f} MPa ({}) ÷ {:.2f} MPa = {:.2f}", m.compressionAcross, m.label, s.bearing, s.socketReserve),
       m.source,
       {"joiner.toRib", "joiner.diameter", "joiner.material", "flying.loadFactor"}});
}

void holeFigures(const TruePanel& w, FigureList& out) {
  for (const Rib& rib : w.frame.ribs)
    for (std::size_t i = 0; i < rib.passHoles.size(); ++i) {
      const PassHole& h = rib.passHoles[i];
      const bool brace = h.what == Passing::What::brace;
      const bool rod = h.what == Passing::What::rod;
      const char* what = brace                          ? "Brace slot"
                         : rod                          ? "Jig rod's hole"
                         : h.what == Passing::What::pin ? "Pin hole"
                                                        : "Joiner hole";
      const std::string filed = filedWords(h.bevel, w.design.unit);
      const std::string where =
          brace ? fmt::format("{}, its middle from the nose; {} wide, {} high{}", rib.name(), out.len(h.width),
                              out.len(h.height), filed.empty() ? filed : ", its sides " + filed)
                : fmt::format("{}, its middle from the nose; {} across", rib.name(), out.len(h.width));
      out.add({fmt::format("rib.{}.hole.{}.x", rib.number, i + 1),
               fmt::format("{}, from the nose", what),
               h.middle.x(),
               Quantity::length,
               Stage::ribs,
               where,
               "along the chord line to its middle",
               fmt::format("{:.2f} % of the chord", 100 * h.middle.x() / rib.frame.chord),
               planeGeometry,
               {brace ? "join.braces.0.slots"
                : rod ? "join.rodFront"
                      : "joiner.fraction"},
               true,
               rib.number});
      out.add(
          {fmt::format("rib.{}.hole.{}.underTop", rib.number, i + 1),
           fmt::format("{}, under the top", what),
           h.underTop,
           Quantity::length,
           Stage::ribs,
           fmt::format("{}, bare section to its middle, square to the chord line", rib.name()),
           brace ? "half way between the caps"
           : rod ? "where the straight rod goes through"
                 : "where the straight joiner goes through",
           fmt::format("{} over the underside, {} over the chord line", out.len(h.overBottom), out.len(h.middle.y())),
           ruledLoft,
           {brace ? "join.braces.0.slots"
            : rod ? "join.rods"
                  : "joiner.along"},
           true,
           rib.number});
    }
}

/// What the joint would show at the trial assembly.
void gapFigures(const TruePanel& w, FigureList& out) {
  if (!w.design.mirrored && w.design.innermost()) return;
  constexpr double bevelOff = 1, riseOff = 1; // degree, mm
  const double depth = w.join.rootDepth, bevel = depth * std::tan(degToRad(bevelOff));
  out.add({"error.bevelGap",
           "Gap, if a bevel is 1° off",
           bevel,
           Quantity::length,
           Stage::joins,
           "at the trial assembly: open at one edge of the join, closed at the other",
           "root depth × tan 1°",
           fmt::format("{} × tan 1° = {}", out.len(depth), out.len(bevel)),
           planeGeometry,
           {"sections.root.kind", "panel.rootChord"}});
  const double turned = std::asin(std::min(1.0, riseOff / w.shape.loft.span()));
  out.add({"error.riseGap",
           "Gap, if a block is off",
           depth * std::tan(turned),
           Quantity::length,
           Stage::joins,
           fmt::format("at the trial assembly, one half propped {} too high with its bevel as it should be",
                       out.len(riseOff)),
           "root depth × (error ÷ L)",
           fmt::format("{} × tan {} = {}", out.len(depth), out.deg(turned), out.len(depth * std::tan(turned))),
           planeGeometry,
           {"panel.span", "sections.root.kind"}});
}

} // namespace

std::string socketPlace(const Socket& socket, bool mouth, bool centre) {
  if (centre) return mouth ? "at the join" : "where the socket ends in either half";
  if (mouth) return socket.beyond ? "at the join, in the panel inside it" : "at the join, in this panel";
  return socket.beyond ? "where the socket ends in the panel inside" : "where the socket ends in this panel";
}

void joinerFigures(const TruePanel& w, FigureList& out) {
  for (std::size_t i = 0; i < w.join.braces.size(); ++i)
    braceStrengthFigures(w, BraceTold(w, w.join.braces[i]), w.strength.join.braces[i], out);
  rodFigures(w, out);
  holeFigures(w, out);
  gapFigures(w, out);
}

} // namespace eup
