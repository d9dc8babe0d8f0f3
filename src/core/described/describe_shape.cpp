// The description of a panel's shape: sections, outline, tip (see describe.h).
#include "core/described/describe.h"
#include <optional>

namespace eup {

std::optional<std::string> wrongOutline(const Polyline& line) {
  if (line.empty() || line.size() > static_cast<std::size_t>(mostTipPoints))
    return "an outline has 1 to " + std::to_string(mostTipPoints) + " places between its ends";
  for (const Point& p : line)
    if (!(std::abs(p.x()) <= farthestTip && p.y() > 0 && p.y() <= farthestTip))
      return "a place of an outline lies beyond the tip rib by more than nothing, and within a metre";
  return std::nullopt;
}

/// A section's source and its steps.
template <class S> static void describeSection(S& s, Visitor& v) {
  using enum SectionKind;
  auto& n = s.drawn;
  const bool flat = s.kind == flatUnderside, plate = s.kind == flatPlate, curved = s.kind == curvedPlate;
  v.choice("kind", "Section from", s.kind, std::span(sectionKindChoices));
  v.digits("naca", "NACA digits", s.naca, s.kind == naca);
  v.hidden("listed", [&] {
    v.freeText("name", s.listed.name);
    v.points("upper", s.listed.upper, mostPoints);
    v.points("lower", s.listed.lower, mostPoints);
  });
  v.flag("smoothListed", "Curve through points", s.listed.smooth, s.kind == listed);
  v.hidden("traced", [&] {
    v.freeText("name", s.traced.name);
    v.points("upper", s.traced.upper, mostReadingPoints);
    v.points("lower", s.traced.lower, mostReadingPoints);
  });
  v.length("traceTolerance", "Curve may leave points", s.traced.tolerance, Limits{0, 20}, s.kind == traced);
  v.fraction("thickness", "Thickness", n.thickness, Limits{0.02, 0.4}, flat || s.kind == symmetrical);
  v.fraction("thicknessAt", "Thickest at", n.thicknessAt, Limits{0.15, 0.6}, flat);
  v.fraction("noseRadius", "Nose radius", n.noseRadius, Limits{0.001, 0.05}, flat);
  v.fraction("tail", "TE depth", n.tail, Limits{0, 0.05}, flat);
  v.fraction("plate", "Plate thickness", n.plate, Limits{0.002, 0.15}, plate || curved);
  v.choice("nose", "Nose", n.nose, std::span(plateNoseChoices), plate);
  v.fraction("wedge", "Wedge reaches", n.wedge, Limits{0.005, 0.5}, plate && n.nose == PlateNose::wedge);
  v.fraction("tailTaper", "TE tapered over", n.tailTaper, Limits{0, 0.8}, plate);
  v.choice("curve", "Curved as", n.curve, std::span(plateCurveChoices), curved);
  v.fraction("camber", "Camber", n.camber, Limits{0, 0.2}, curved);
  v.fraction("camberAt", "Camber at", n.camberAt, Limits{0.1, 0.9}, curved && n.curve == PlateCurve::place);
  v.list("steps", Topic::none, s.steps, mostSteps, [&](auto& p, std::size_t i) {
    const std::string label = std::to_string(i + 1) + ".";
    v.choice("kind", label.c_str(), p.kind, std::span(stepChoices));
    v.flag("on", "in use", p.on);
    v.fraction("thickness", "to", p.thickness, Limits{0.01, 0.4}, p.kind == StepKind::thickness);
    v.fraction("camber", "to", p.camber, Limits{-0.15, 0.15}, p.kind == StepKind::camber);
    v.fraction("tail", "to", p.tail, Limits{0, 0.08}, p.kind == StepKind::tail);
    v.number("nose", "radius ×", p.nose, Limits{0.1, 5}, p.kind == StepKind::nose);
    v.fraction("smooth", "points move at most", p.smooth, Limits{0.00001, 0.02}, p.kind == StepKind::smooth);
    v.digits("with", "with NACA", p.with, p.kind == StepKind::blend);
    v.number("share", "share of it, 0 to 1", p.share, Limits{0, 1}, p.kind == StepKind::blend);
  });
}

void describeShape(PanelDesign& p, const PanelPlace& place, Visitor& v) {
  const bool innermost = place.innermost();
  v.group("sections", Topic::none, [&] {
    v.group("root", Topic::rootSection, [&] { describeSection(p.sections.root, v); });
    v.group("tip", Topic::tipSection, [&] { describeSection(p.sections.tip, v); });
  });
  v.group("panel", Topic::panel, [&] {
    const bool own = innermost || !p.panel.continues;
    v.flag("continues", "Root as the panel inside", p.panel.continues, !innermost);
    v.length("span", place.spanName(), p.panel.span, Limits{20, 20000});
    v.length("rootChord", "Root chord", p.panel.rootChord, Limits{5, 3000}, own);
    v.length("tipChord", "Tip chord", p.panel.tipChord, Limits{5, 3000});
    v.length("tipSetback", "Tip LE set back", p.panel.tipSetback, Limits{-5000, 5000});
    v.angle("rootWashout", "Washout at root", p.panel.rootWashoutDeg, Limits{-15, 15}, !innermost && own);
    v.fraction("rootAxis", "Root turned about", p.panel.rootAxis, Limits{0, 1}, !innermost && own);
    v.angle("washout", "Washout at tip", p.panel.washoutDeg, Limits{-15, 15});
    v.fraction("washoutAxis", "Turned about", p.panel.washoutAxis, Limits{0, 1});
  });
}

void describeLeftHand(PanelDesign& p, const PanelPlace& place, Visitor& v) {
  v.group("left", Topic::leftHand, [&] {
    auto& l = p.left;
    const bool on = place.mirrored && l.differs;
    v.flag("differs", "Differs from the right", l.differs, place.mirrored);
    v.length("span", "Longer by", l.span, Limits{-500, 500}, on);
    v.length("rootChord", "Root chord more by", l.rootChord, Limits{-300, 300},
             on && (place.innermost() || !p.panel.continues));
    v.length("tipChord", "Tip chord more by", l.tipChord, Limits{-300, 300}, on);
    v.angle("washout", "Washout more by", l.washoutDeg, Limits{-10, 10}, on);
  });
}

void describeTip(PanelDesign& p, const PanelPlace& place, Visitor& v) {
  v.group("tip", Topic::tip, [&] {
    using enum TipKind;
    auto& t = p.tip;
    const TipKind kind = place.outermost ? t.kind : square;
    v.choice("kind", "Tip", t.kind, std::span(tipChoices), place.outermost);
    v.length("reach", "Beyond the tip rib", t.reach, Limits{1, 1000}, kind == outline || kind == block || kind == bow);
    v.fraction("farthest", "Farthest out at", t.farthest, Limits{0.1, 0.95},
               kind == outline || kind == block || kind == bow);
    v.length("raised", "Edge raised there", t.raised, Limits{-200, 200},
             kind == outline || kind == block || kind == bow || kind == rounded || kind == own);
    v.outline("outline", "Outline, aft : out", t.outline, kind == own);
    v.flag("rounding", "A curve through it", t.rounding, kind == own);
    const bool laminated = p.trailingEdge.kind == TrailingEdgeKind::square && p.trailingEdge.strips > 1;
    const bool runsOn = kind == bow && laminated && t.runsOn;
    v.length("thickness", kind == bow ? "Each strip" : "Sheet", t.thickness, Limits{0.2, 30},
             kind == plate || kind == outline || (kind == bow && !runsOn) || kind == own);
    v.length("width", "Width of pieces", t.width, Limits{1, 200}, kind == outline || kind == own);
    v.count("pieces", "Pieces of sheet", t.pieces, Limits{1, mostTipPieces}, kind == outline || kind == own);
    v.choice("joint", "They are", t.joint, std::span(tipJointChoices),
             (kind == outline || kind == own) && t.pieces > 1);
    v.length("margin", "Stands out by", t.margin, Limits{0, 100}, kind == plate);
    v.flag("runsOn", "TE's strips run on round it", t.runsOn, kind == bow && laminated);
    v.count("strips", "Strips", t.strips, Limits{1, 20}, kind == bow && !runsOn);
    v.length("bowWidth", "Width of strips", t.bowWidth, Limits{0.5, 50}, kind == bow && !runsOn);
    v.number("springBack", "Springs back, share", t.springBack, Limits{0, 0.3}, kind == bow);
    v.length("radius", "Radius of corners", t.radius, Limits{1, 1000}, kind == rounded);
  });
}

} // namespace eup
