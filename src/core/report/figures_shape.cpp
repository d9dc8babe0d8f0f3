// Figures of the sections and of the panel's plan.
#include "core/described/decisions.h"
#include "core/report/report_parts.h"
#include "core/section/naca.h"
#include <fmt/format.h>

namespace eup {
namespace {

void oneSection(const TruePanel& w, FigureList& out, bool root) {
  const char* end = root ? "root" : "tip";
  const SectionMeasures& m = root ? w.shape.rootMeasures : w.shape.tipMeasures;
  const double chord = root ? w.design.panel.rootChord : w.design.panel.tipChord;
  const SectionChoice& choice = root ? w.design.sections.root : w.design.sections.tip;
  const ShapedSection& shape = root ? w.shape.rootShape : w.shape.tipShape;
  const bool plainNaca = choice.kind == SectionKind::naca && choice.steps.empty();
  const std::string source = sourceOf(choice);
  const std::vector<std::string> from{fmt::format("sections.{}.kind", end), fmt::format("panel.{}Chord", end)};
  const auto key = [&](const char* what) { return fmt::format("section.{}.{}", end, what); };
  const std::string where = fmt::format("{} section, square to its chord line", end);
  const auto ofChord = [&](double share) {
    return fmt::format("{:.2f} % × {} = {}", share * 100, out.len(chord), out.len(share * chord));
  };
  const auto add = [&](const char* what, std::string label, double share, std::string rule, bool bench = false) {
    out.add({key(what), std::move(label), share * chord, Quantity::length, Stage::sections, where, std::move(rule),
             ofChord(share), source, from, bench});
  };
  const std::string cap = root ? "Root" : "Tip";
  add("thickness", cap + " thickness", m.thickness, "greatest depth between the surfaces × chord", true);
  add("thicknessAt", cap + " thickest at", m.thicknessAt, "place of the greatest depth, from the leading edge");
  add("camber", cap + " camber", m.camber, "greatest height of the line half way between the surfaces × chord");
  add("camberAt", cap + " camber at", m.camberAt, "place of the greatest camber, from the leading edge");
  const double radius = noseRadiusOf(choice, m);
  add("noseRadius", cap + " nose radius", radius,
      plainNaca ? "1.1019 t², turned for the mean line's slope at the nose, × chord"
                : "circle through the points next to the nose × chord");
  add("tailThickness", cap + " TE thickness", m.tailThickness, "depth of the open trailing edge × chord");
  if (m.undercamberAt)
    add("undercamber", cap + " undercamber", m.undercamber,
        "greatest gap over a straightedge laid under the section, square to it");
  out.add({key("area"), cap + " section area", m.area * chord * chord, Quantity::area, Stage::sections, where,
           "area of the outline in chord lengths × chord²",
           fmt::format("{:.5f} × ({})² = {}", m.area, out.len(chord),
                       told(m.area * chord * chord, Quantity::area, w.design.unit)),
           source, from});
  out.add({key("tailAngle"), cap + " TE angle", m.tailAngle, Quantity::angle, Stage::sections, where,
           "between the surfaces, each taken straight over its last tenth of the chord",
           fmt::format("= {}", out.deg(m.tailAngle)), source, from});
  add("flatRun", cap + " underside flat for", m.flatTo - m.flatFrom,
      fmt::format("longest run within {:.2f} % of the chord of a straightedge, from {:.0f} % to {:.0f} %",
                  flatWithin * 100, m.flatFrom * 100, m.flatTo * 100));
  if (m.undercamberAt)
    add("undercamberAt", cap + " undercamber at", *m.undercamberAt, "place of the greatest gap over the straightedge");
  if (!w.design.spars.empty()) {
    const Spar& spar = w.design.spars.front();
    const double x = root ? spar.rootFraction : spar.tipFraction;
    add("depthAtSpar", fmt::format("{} depth at the {}", cap, spar.name), depthAt(shape.section, x),
        fmt::format("depth square to the chord line at {:.1f} % of the chord", x * 100));
  }
  if (!plainNaca || choice.naca.size() != 4) {
    const NearestFourDigit nearest = nearestFourDigit(shape.section);
    add("nearest", fmt::format("{} against NACA {}, rms", cap, nearest.digits), nearest.rms,
        fmt::format(
            "nearest NACA 4-digit section is {}: root mean square of the height differences, both surfaces, evenly "
            "along the chord",
            nearest.digits));
  }
  for (std::size_t i = 0; i < shape.steps.size(); ++i) {
    const StepResult& step = shape.steps[i];
    out.add({fmt::format("section.{}.step{}.moved", end, i + 1),
             fmt::format("{}, step {} moves the surface", cap, i + 1),
             step.moved * chord,
             Quantity::length,
             Stage::sections,
             fmt::format("{} surface, {:.0f} % of the chord", step.upper ? "upper" : "lower", step.movedAt * 100),
             "greatest height difference between before and after the step × chord",
             ofChord(step.moved),
             "plane geometry",
             {fmt::format("sections.{}.steps.{}.kind", end, i)}});
  }
  if (shape.trace) {
    const auto& t = *shape.trace;
    const std::string tolerance = fmt::format("sections.{}.traceTolerance", end);
    out.add({key("trace.rms"),
             cap + " trace, rms off the curve",
             t.rms,
             Quantity::length,
             Stage::sections,
             "on the plan",
             "root mean square of the traced points' distances from the smooth curve",
             fmt::format("{} points: {}", choice.traced.upper.size() + choice.traced.lower.size(), out.len(t.rms)),
             "P-spline: Eilers and Marx, Statistical Science 11 (1996)",
             {tolerance}});
    out.add({key("trace.worst"),
             cap + " trace, worst point",
             t.worst,
             Quantity::length,
             Stage::sections,
             fmt::format("{} surface, {:.1f} % of the chord", t.worstUpper ? "upper" : "lower", t.worstAt.x() * 100),
             "greatest distance of a traced point from the smooth curve",
             fmt::format("point {} of the {} surface: {}", t.worstPoint + 1, t.worstUpper ? "upper" : "lower",
                         out.len(t.worst)),
             "P-spline: Eilers and Marx, Statistical Science 11 (1996)",
             {tolerance}});
  }
}

} // namespace

void sectionFigures(const TruePanel& w, FigureList& out) {
  oneSection(w, out, true);
  oneSection(w, out, false);
}

/// A quarter of its mean chord, aft of the main wing's root leading edge.
static double quarterChord(const WholeWing& wing, const Wing& place) {
  const Planform p = bothHands(wing);
  return place.aft + p.meanChordLe + p.meanChord / 4;
}

/// How far from the main wing another one works, and how large it is for that.
static void placeFigures(const TrueWing& aircraft, const WholeWing& wing, FigureList& out) {
  const int number = wing.panels.front().design.id.wing;
  const Wing& place = aircraft.design.wings[static_cast<std::size_t>(number)];
  const WholeWing& main = aircraft.main();
  const double arm = quarterChord(wing, place) - quarterChord(main, aircraft.design.wings.front());
  const std::vector<std::string> from{fmt::format("wings.{}.surface.aft", number)};
  out.add({"wing.arm", "Arm to the main wing", arm, Quantity::length, Stage::panels,
           "from quarter to quarter of the mean chords, + aft", "set back, and where each mean chord stands",
           fmt::format("{} + {} + {} ÷ 4 − ({} + {} ÷ 4) = {}", out.len(place.aft),
                       out.len(bothHands(wing).meanChordLe), out.len(bothHands(wing).meanChord),
                       out.len(bothHands(main).meanChordLe), out.len(bothHands(main).meanChord), out.len(arm)),
           planeGeometry, from, true});
  if (place.kind == WingKind::second) return;
  const bool fin = !wing.mirrored;
  const Planform mainPlan = bothHands(main), plan = bothHands(wing);
  const double area = plan.area * (fin ? 0.5 : 1), by = fin ? 2 * mainPlan.halfSpan : mainPlan.meanChord;
  const double volume = area * std::abs(arm) / (mainPlan.area * by);
  out.add({"wing.volume",
           fin                              ? "Fin volume"
           : place.kind == WingKind::canard ? "Foreplane volume"
                                            : "Tail volume",
           volume, Quantity::ratio, Stage::panels,

           place.kind == WingKind::canard ? "how far forward it brings the point that the model balances on"
                                          : "how much it steadies the model for its size",
           fin ? "area × arm ÷ (wing area × span)" : "area × arm ÷ (wing area × mean chord)",
           fmt::format("{} × {} ÷ ({} × {}) = {:.3f}", told(area, Quantity::area, aircraft.design.unit),
                       out.len(std::abs(arm)), told(mainPlan.area, Quantity::area, aircraft.design.unit), out.len(by),
                       volume),
           "volume coefficient as in textbooks of aeroplane stability", from});
}

void wingFigures(const TrueWing& aircraft, const WholeWing& wing, FigureList& out) {
  const Planform p = bothHands(wing);
  const OtherHand other = wing.other.value_or(OtherHand{p, wing.fromAbove, 0, 0, {}, {}});
  const LengthUnit unit = aircraft.design.unit;
  const bool one = wing.panels.size() == 1, both = wing.mirrored, main = wing.panels.front().design.id.wing == 0;
  const double hands = both ? 2 : 1; // a fin has no other half
  const char* each = both ? "2 × " : "";
  std::vector<std::string> plan, spans, joins;
  for (const TruePanel& panel : wing.panels) {
    const std::string at = pathOf(panel.design.id);
    spans.push_back(at + "panel.span");
    for (const char* chord : {"panel.rootChord", "panel.tipChord"})
      if (std::string_view(chord) == "panel.tipChord" || panel.design.innermost() || !panel.design.panel.continues)
        plan.push_back(at + chord);
    joins.push_back(at + "join.dihedral.angle");
  }
  plan.insert(plan.end(), spans.begin(), spans.end());
  joins.insert(joins.end(), spans.begin(), spans.end());
  /// "700 mm", or "(400 mm + 300 mm)": one term a panel.
  const auto sum = [&](auto term) {
    std::string text;
    for (const TruePanel& panel : wing.panels) text += (text.empty() ? "" : " + ") + term(panel);
    return one ? text : "(" + text + ")";
  };
  const auto spanOf = [&](const TruePanel& panel) { return out.len(panel.shape.loft.span()); };
  out.add({"panel.span", "Span, flat as drawn", hands * p.halfSpan, Quantity::length, Stage::panels,
           both ? "both halves laid flat" : "root rib to tip rib",
           wing.other ? "right half + left half"
                      : fmt::format("{}{}", each, one ? (both ? "half span" : "span") : "Σ panel span"),
           wing.other ? fmt::format("{} + {} = {}", out.len(wing.planform.halfSpan), out.len(other.planform.halfSpan),
                                    out.len(2 * p.halfSpan))
                      : fmt::format("{}{} = {}", each, sum(spanOf), out.len(hands * p.halfSpan)),
           planeGeometry, spans});
  if (both)
    out.add({"panel.spanFromAbove", "Span, from above", wing.fromAbove + other.fromAbove, Quantity::length,
             Stage::panels, "tip to tip of the joined wing", one ? "2 L cos Γ" : "2 Σ L cos Γ",
             wing.other ? fmt::format("{} + {}", out.len(wing.fromAbove), out.len(other.fromAbove))
                        : fmt::format("2 × {} = {}", sum([&](const TruePanel& panel) {
                                        return fmt::format("{} × cos {}", spanOf(panel), out.deg(panel.join.gamma));
                                      }),
                                      out.len(2 * wing.fromAbove)),
             planeGeometry, joins, true});
  const double area = p.area * hands / 2;
  const auto twoHands = [&](double right, double left) {
    return fmt::format("{} + {}, right and left", told(right, Quantity::area, unit), told(left, Quantity::area, unit));
  };
  const char* halved = both ? "" : " ÷ 2";
  out.add({"panel.area", both ? "Wing area" : "Area", area, Quantity::area, Stage::panels,
           both ? "both halves from rib to rib, flat as drawn, without tips" : "one side, without its tip",
           (one ? std::string("half span × (root chord + tip chord)")
                : std::string("Σ panel span × (root chord + tip chord)")) +
               halved,
           wing.other ? twoHands(wing.planform.area / 2, other.planform.area / 2)
                      : fmt::format("{}{} = {}", sum([&](const TruePanel& panel) {
                                      return fmt::format("{} × ({} + {})", spanOf(panel),
                                                         out.len(panel.design.panel.rootChord),
                                                         out.len(panel.design.panel.tipChord));
                                    }),
                                    halved, told(area, Quantity::area, unit)),
           planeGeometry, plan, true});
  const TruePanel& last = wing.panels.back();
  const double ownTip = last.tip ? last.tip->area : 0,
               tips = wing.other ? ownTip + wing.other->tipArea : ownTip * hands;
  if (tips > 0)
    out.add({"panel.areaWithTips",
             "Area with tips",
             area + tips,
             Quantity::area,
             Stage::panels,
             both ? "both halves and both tips, flat as drawn" : "one side and its tip",
             "area + what stands beyond the tip rib",
             wing.other
                 ? twoHands(wing.planform.area / 2 + ownTip, other.planform.area / 2 + other.tipArea)
                 : fmt::format("{} + {} × {} = {}", told(area, Quantity::area, unit), hands,
                               told(tips / hands, Quantity::area, unit), told(area + tips, Quantity::area, unit)),
             planeGeometry,
             {pathOf(last.design.id) + "tip.kind", pathOf(last.design.id) + "tip.reach"}});
  if (last.tip) {
    const double reach = last.tip->reach, right = wing.planform.halfSpan + reach,
                 left = wing.other ? other.planform.halfSpan + other.tipReach : right;
    out.add({"tip.span",
             "Span over the tips",
             both ? right + left : right,
             Quantity::length,
             Stage::panels,
             "flat as drawn; loads and areas are taken to the tip rib",
             both ? "half span and tip, right + left" : "span + tip",
             both ? fmt::format("({} + {}) + {}", out.len(wing.planform.halfSpan), out.len(reach), out.len(left))
                  : fmt::format("{} + {} = {}", out.len(wing.planform.halfSpan), out.len(reach), out.len(right)),
             planeGeometry,
             {pathOf(last.design.id) + "tip.kind", spans.back()}});
  }
  const double aspect = hands * p.halfSpan * hands * p.halfSpan / area;
  out.add({"panel.aspect", "Aspect ratio", aspect, Quantity::ratio, Stage::panels, "on the flat span", "span² ÷ area",
           fmt::format("({})² ÷ {} = {:.2f}", out.len(hands * p.halfSpan), told(area, Quantity::area, unit), aspect),
           planeGeometry, plan});
  const bool plain = one && !wing.other; // told in closed form
  const double taper = wing.panels.back().design.panel.tipChord / wing.panels.front().design.panel.rootChord;
  out.add({"panel.mac", "Mean aerodynamic chord", p.meanChord, Quantity::length, Stage::panels,
           "see its place along the span", plain ? "⅔ c_r (1 + λ + λ²) ÷ (1 + λ)" : "∫c² dy ÷ ∫c dy",
           plain ? fmt::format("⅔ × {} × (1 + {:.4f} + {:.4f}) ÷ {:.4f} = {}",
                               out.len(wing.panels.front().design.panel.rootChord), taper, taper * taper, 1 + taper,
                               out.len(p.meanChord))
                 : fmt::format("each panel in closed form, over {}: {}", told(p.area / 2, Quantity::area, unit),
                               out.len(p.meanChord)),
           "MAC = ∫c² dy ÷ S, worked for a straight taper", plan, true});
  out.add({"panel.macAt", "Mean chord stands at", p.meanChordAt, Quantity::length, Stage::panels,
           "from the root, along the true span", plain ? "half span ÷ 3 × (1 + 2λ) ÷ (1 + λ)" : "∫c y dy ÷ ∫c dy",
           plain ? fmt::format("{} ÷ 3 × {:.4f} ÷ {:.4f} = {}", out.len(p.halfSpan), 1 + 2 * taper, 1 + taper,
                               out.len(p.meanChordAt))
                 : fmt::format("= {}", out.len(p.meanChordAt)),
           planeGeometry, plan});
  out.add({"panel.macLe", "Mean chord's LE behind root LE", p.meanChordLe, Quantity::length, Stage::panels,
           "on the plan", plain ? "tip set-back × its place ÷ half span" : "∫c x dy ÷ ∫c dy, x the leading edge",
           plain ? fmt::format("{} × {} ÷ {} = {}", out.len(wing.panels.front().design.panel.tipSetback),
                               out.len(p.meanChordAt), out.len(p.halfSpan), out.len(p.meanChordLe))
                 : fmt::format("= {}", out.len(p.meanChordLe)),
           planeGeometry, plan});
  const double mass = aircraft.design.flying.mass, lifting = p.area + tips, loading = mass / (lifting / 1e4);
  std::vector<std::string> loadingFrom{"flying.mass"};
  loadingFrom.insert(loadingFrom.end(), plan.begin(), plan.end());
  if (main)
    out.add({"panel.loading", "Wing loading", loading, Quantity::loading, Stage::panels,
             tips > 0 ? "whole model on the flat area with its tips" : "whole model on the flat area",
             "model mass ÷ wing area",
             fmt::format("{:.5g} g ÷ {:.2f} dm² = {:.1f} g/dm²", mass, lifting / 1e4, loading), planeGeometry,
             loadingFrom});
  if (!main) placeFigures(aircraft, wing, out);
  if (!one) {
    out.add({"wing.effectiveDihedral", "Effective dihedral", wing.effectiveDihedral, Quantity::angle, Stage::joins,
             "the plain dihedral that rights as much", "∫Γ c y dy ÷ ∫c y dy, y along the true span",
             fmt::format("panels at {} = {}", sum([&](const TruePanel& panel) { return out.deg(panel.join.gamma); }),
                         out.deg(wing.effectiveDihedral)),
             "area-arm mean of strip theory", joins, true});
    out.add({"wing.tipRise", "Tip over the root", wing.tipRise, Quantity::length, Stage::joins,
             "chord line at the outermost tip, finished wing, root chord level", "Σ L sin Γ",
             fmt::format("{} = {}", sum([&](const TruePanel& panel) { return out.len(panel.join.rise); }),
                         out.len(wing.tipRise)),
             planeGeometry, joins});
  }
  const TruePanel& inner = wing.panels.front();
  const bool slotted = std::ranges::any_of(wing.panels, [](const TruePanel& panel) {
    return std::ranges::any_of(panel.design.spars, [](const Spar& s) { return s.kind == SparKind::fullDepth; });
  });
  if (inner.strength.bending.rootStiffness > 0)
    out.add({"load.tipDeflection",
             "Tip bends up by",
             wing.tipDeflection,
             Quantity::length,
             Stage::spars,
             "at the tip rib, each panel under the load that bends its root most",
             slotted
                 ? "∬ M ÷ ΣEI along the span; of a slotted sheet spar 1 ÷ EI = (1 − share) ÷ EI whole + share ÷ EI at "
                   "a slot, share = (slot + 0.48 × depth) ÷ distance of its slots"
                 : "∬ M ÷ ΣEI along the span",
             fmt::format("root: {:.0f} ÷ {:.4g} per mm; summed in 120 steps a panel",
                         inner.strength.bending.load.moment(0), inner.strength.bending.rootStiffness),
             "bending theory of beams; bending alone",
             {"flying.loadFactor", "flying.mass"}});
}

void panelFigures(const TruePanel& w, FigureList& out) {
  const Panel& p = w.design.panel;
  const double taper = p.tipChord / p.rootChord;
  out.add({"panel.taper",
           "Taper ratio λ",
           taper,
           Quantity::ratio,
           Stage::panels,
           "",
           "tip chord ÷ root chord",
           fmt::format("{} ÷ {} = {:.3f}", out.len(p.tipChord), out.len(p.rootChord), taper),
           planeGeometry,
           {"panel.rootChord", "panel.tipChord"}});
  const double sweep = std::atan2(p.tipSetback, p.span);
  out.add({"panel.leSweep",
           "Sweep of the leading edge",
           sweep,
           Quantity::angle,
           Stage::panels,
           "on the plan, before washout",
           "atan(tip set-back ÷ span)",
           fmt::format("atan({} ÷ {}) = {}", out.len(p.tipSetback), out.len(p.span), out.deg(sweep)),
           planeGeometry,
           {"panel.tipSetback", "panel.span"}});
}

} // namespace eup
