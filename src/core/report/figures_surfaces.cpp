// Figures of surfaces on hinges: where they are cut, how they are bevelled, what moves them and what the air does.
#include "core/report/finder.h"
#include "core/report/report_parts.h"
#include "core/surfaces/track.h"
#include "core/wing/strips.h"
#include <algorithm>
#include <cmath>
#include <fmt/format.h>

namespace eup {
namespace {

const char* thinAerofoil =
    "thin aerofoil theory (Glauert, ARC R&M 1095, 1927): an upper bound, real surfaces show less";

/// One surface, and what its figures and decisions are called.
struct SurfaceTold {
  const TruePanel& w;
  const SurfaceMade& made;
  const Surface& s;
  FigureList& out;
  std::string key, path, name;

  std::vector<std::string> from(std::initializer_list<const char*> decisions) const {
    std::vector<std::string> all;
    for (const char* d : decisions) all.push_back(d[0] == '/' ? std::string(d + 1) : path + d);
    return all;
  }
  void add(const char* what, const std::string& label, double value, Quantity quantity, std::string where,
           std::string rule, std::string working, std::string source, std::vector<std::string> decisions,
           bool bench = false) const {
    out.add({key + what, label + ": " + name, value, quantity, Stage::surfaces, std::move(where), std::move(rule),
             std::move(working), std::move(source), std::move(decisions), bench});
  }
  std::string place(bool outer) const {
    return fmt::format("at its {} end, {} out from {}", outer ? "outer" : "inner",
                       out.len((outer ? made.outer : made.inner).t), innerEnd(w.design));
  }
};

void endFigures(const SurfaceTold& f, bool outer) {
  const SurfaceEnd& end = outer ? f.made.outer : f.made.inner;
  const std::string which = outer ? "outer" : "inner", of = ", " + which;
  const auto key = [&](const char* what) { return which + what; };
  const auto plan = f.from({"from", "to", "by", "chordFrom", "chordTo", "tailFrom", "tailTo", "/panel.tipChord"});
  f.add(key("Chord").c_str(), "Chord behind" + of, end.chord, Quantity::length,
        f.place(outer) + ", along the chord line to the trailing edge", "the hinge line is straight in space",
        fmt::format("{} of a chord of {}", f.out.len(end.chord), f.out.len(end.frame.chord)), planeGeometry, plan,
        true);
  if (!f.s.partsRibs()) return;
  f.add(key("Depth").c_str(), "Depth at the cut" + of, end.cut.depth, Quantity::length,
        f.place(outer) + ", along the cut through the hinge line, skins on", "from face to face",
        f.out.len(end.cut.depth), ruledLoft, f.from({"at", "plane", "rake", "chordFrom", "chordTo"}));
  const auto bevels = f.from({"at", "gap", "up", "down", "upMm", "downMm", "nose"});
  if (f.s.nose == SurfaceNose::round)
    return f.add(key("Radius").c_str(), "Radius of its nose" + of, end.cut.noseRadius, Quantity::length,
                 f.place(outer) + ", about the hinge line", "what the nearer face leaves it",
                 fmt::format("wing {} before the hinge line", f.out.len(end.cut.noseRadius + f.s.gap)), planeGeometry,
                 bevels, true);
  for (const bool top : {true, false}) {
    const double bevel = top ? end.cut.bevelTop : end.cut.bevelBottom,
                 back = top ? end.cut.backTop : end.cut.backBottom,
                 deep = top ? end.cut.bevelLongTop : end.cut.bevelLongBottom,
                 travel = top ? f.made.line.up : f.made.line.down;
    if (deep <= 0.05) continue;
    const std::string face = top ? "on top" : "below";
    f.add(key(top ? "BevelTop" : "BevelBottom").c_str(), fmt::format("Bevel {}{}", face, of), bevel, Quantity::angle,
          f.place(outer) + ", of its front out of the cut, square to the hinge line",
          "the least that clears the wing at full travel; without a gap, the travel",
          fmt::format("turns {} {}, gap {}", f.out.deg(travel), top ? "up" : "down", f.out.len(f.s.gap)), planeGeometry,
          bevels);
    f.add(key(top ? "BackTop" : "BackBottom").c_str(), fmt::format("Cut back {}{}", face, of), back, Quantity::length,
          f.place(outer) + ", at the face, square to the cut and to the hinge line", "depth × tan(bevel)",
          fmt::format("{} × tan {} = {}", f.out.len(deep), f.out.deg(bevel), f.out.len(back)), planeGeometry, bevels,
          true);
  }
}

void facingFigures(const SurfaceTold& f) {
  const auto from = f.from({"proud", "plane", "at", "chordFrom", "chordTo"});
  for (const bool own : {false, true}) {
    const FacingStrip& strip = own ? f.made.facing : f.made.wingFacing;
    if (strip.thickness <= 0) continue;
    const std::string what = own ? "Facing" : "Facing on the wing", key = own ? "facing" : "wingFacing";
    for (const bool outer : {false, true})
      f.add((key + (outer ? ".outer" : ".inner")).c_str(),
            fmt::format("{}, {} end: deep", what, outer ? "outer" : "inner"), outer ? strip.depthTo : strip.depthFrom,
            Quantity::length,
            fmt::format("sawn so from sheet {} thick, {} long", f.out.len(strip.thickness), f.out.len(strip.length)),
            "depth at the cut + twice what stands proud",
            fmt::format("{} + 2 × {}", f.out.len((outer ? strip.depthTo : strip.depthFrom) - 2 * f.s.proud),
                        f.out.len(f.s.proud)),
            planeGeometry, from, true);
  }
  for (const bool own : {false, true})
    if (const FacingPull pull = facingPull(f.w.design, f.w.frame, f.made, own); pull.bent > 0)
      f.add(own ? "pull" : "wingPull",
            own ? "Covering pulls the facing in by" : "Covering pulls the wing's facing in by", pull.bent,
            Quantity::length, fmt::format("in the middle of a bay of {}, about", f.out.len(pull.bay)),
            "w L⁴ ÷ (384 E I), a strip held at both ends; w the pull of both faces",
            fmt::format("{} N/mm a face; E I {:.4g} N·mm²", coveringPull, pull.stiffness),
            "beam theory; the pull of a tight covering is an assumption", f.from({"facing", "wingFacing", "infill"}));
  if (f.made.facing.thickness <= 0 && f.made.wingFacing.thickness <= 0) return;
  for (const bool outer : {false, true})
    for (const bool top : {true, false}) {
      const HingeSection& cut = (outer ? f.made.outer : f.made.inner).cut;
      const double slope = top ? cut.slopeTop : cut.slopeBottom, angle = cornerOf(cut, top);
      f.add(fmt::format("plane.{}{}", outer ? "outer" : "inner", top ? "Top" : "Bottom").c_str(),
            fmt::format("Plane the facing to, {}, {} end", top ? "on top" : "below", outer ? "outer" : "inner"), angle,
            Quantity::angle,
            f.place(outer) + ": between the facing's front and the curve behind it, measured in the wood",
            "90° ± the face's slope to the cut", fmt::format("slope {}", f.out.deg(slope)), planeGeometry, from);
    }
}

void airFigures(const SurfaceTold& f) {
  const double speed = f.s.speed, dive = f.w.design.flying.diveSpeed, turn = std::max(f.made.line.up, f.made.line.down);
  f.add("area", "Area", f.made.area, Quantity::area, "of one, behind its hinge line, flat as on the plan",
        "mean of its chords × its length along the span",
        fmt::format("({} + {}) ÷ 2 × {}", f.out.len(f.made.inner.chord), f.out.len(f.made.outer.chord),
                    f.out.len(f.made.outer.t - f.made.inner.t)),
        planeGeometry, f.from({"from", "to", "chordFrom", "chordTo"}));
  if (f.s.partsRibs())
    f.add("effect", "Effect τ", f.made.effect, Quantity::ratio,
          fmt::format("turned by a degree it lifts as much as {:.2f} of a degree of the whole section there",
                      f.made.effect),
          "1 − (θ − sin θ) ÷ π, cos θ = 2 share − 1", fmt::format("share of the chord {:.3f}", f.made.share),
          thinAerofoil, f.from({"chordFrom", "chordTo", "tailFrom", "tailTo"}));
  const char* rule = f.s.plateLike() ? "q × 1.2 × width² ÷ 2 × length × sin δ"
                     : f.s.whole()   ? "q × 2π δ × Σ chord × (axis − quarter chord)"
                                     : "q × ∫ c² b2 δ dy";
  const std::string source = f.s.plateLike() ? "a flat plate across the stream (drag 1.2, from memory)" : thinAerofoil;
  if (speed > 0) {
    f.add("moment", "Air turns it with", f.made.fullMoment, Quantity::moment,
          fmt::format("about its hinge line at {:.0f} m/s, turned by {}", speed, f.out.deg(turn)), rule,
          fmt::format("share {:.3f}, chords {} and {}", f.made.share, f.out.len(f.made.inner.chord),
                      f.out.len(f.made.outer.chord)),
          source, f.from({"speed", "up", "down", "chordFrom", "chordTo"}), true);
    if (!f.s.plateLike())
      f.add("perDegree", "More for a degree of incidence", f.made.perDegree, Quantity::moment,
            fmt::format("about its hinge line at {:.0f} m/s", speed), f.s.whole() ? rule : "q × ∫ c² b1 α dy",
            fmt::format("share {:.3f}", f.made.share), source, f.from({"speed", "chordFrom", "chordTo"}));
  }
  if (dive > 0 && f.s.partsRibs())
    f.add("diveMoment", "Air turns it in the dive with", f.made.diveMoment, Quantity::moment,
          fmt::format("about its hinge line at {:.0f} m/s, turned by a third of its travel", dive), rule,
          fmt::format("{}", f.out.deg(turn / 3)), source, f.from({"/flying.diveSpeed", "up", "down"}));
  f.add("mass", "Weighs", f.made.grams, Quantity::mass, "one of it, without hinges, horn and glue",
        "its ribs' tails, facing, stock, sheet, covering, end ribs",
        told(f.made.grams, Quantity::mass, f.w.design.unit), "from its parts", f.from({"built", "facing", "endRib"}));
  f.add("behind", "Weighs behind its hinge line by", f.made.behind, Quantity::length,
        "centre of its mass, square to the hinge line", "Σ mass × distance ÷ Σ mass",
        told(f.made.grams, Quantity::mass, f.w.design.unit), "from its parts", f.from({"built", "facing"}));
  f.add("weight", "Counterweight", f.made.weight, Quantity::mass,
        fmt::format("that balances it, {} before its hinge line", f.out.len(f.s.weightArm)),
        "mass × distance behind ÷ arm",
        fmt::format("{} × {} ÷ {}", told(f.made.grams, Quantity::mass, f.w.design.unit), f.out.len(f.made.behind),
                    f.out.len(f.s.weightArm)),
        planeGeometry, f.from({"weightArm"}));
}

void linkageFigures(const SurfaceTold& f) {
  if (!f.made.driven) return;
  const Driven& d = *f.made.driven;
  const Servo& servo = f.w.design.tables.servo(f.s.drive.servo);
  const auto from = f.from({"drive.at", "drive.servoChord", "drive.servoUp", "drive.arm", "drive.armAngle",
                            "drive.horn", "drive.hornAngle", "drive.servoAngle"});
  const char* bars = "servo arm, rod and horn as a plane linkage, the rod as long as at rest";
  const std::string plane = "in the plane square to the hinge line, at the horn";
  f.add("rod", f.s.drive.by == MovedBy::pullPull ? "Each cord" : "Rod", d.bars.rod(), Quantity::length,
        "from pin to pin, all at rest", "distance of the two pins",
        fmt::format("arm {}, horn {}, servo to hinge line {}", f.out.len(d.bars.arm), f.out.len(d.bars.horn),
                    f.out.len((d.bars.hinge - d.bars.servo).norm())),
        planeGeometry, from, true);
  const double widest = std::max(f.made.inner.chord, f.made.outer.chord) * std::cos(f.made.line.sweep);
  for (const bool up : {true, false}) {
    const double turn = up ? d.up : d.down;
    f.add(up ? "linkUp" : "linkDown", up ? "Servo gives, up" : "Servo gives, down", turn, Quantity::angle,
          fmt::format("of the surface, the servo fully turned; {} at the trailing edge where it is widest",
                      f.out.len(widest * std::sin(turn))),
          bars, fmt::format("servo turns {:.0f}°", f.s.drive.servoDeg), planeGeometry, from, true);
    const auto& servoTurn = up ? d.forUp : d.forDown;
    if (const double asked = up ? f.made.line.up : f.made.line.down; servoTurn && asked > 0)
      f.add(up ? "servoUp" : "servoDown", up ? "Servo turns for all of it up" : "Servo turns for all of it down",
            std::abs(*servoTurn), Quantity::angle, fmt::format("for {} of the surface", f.out.deg(asked)), bars,
            "found by halving", planeGeometry, from);
  }
  if (d.down > 0)
    f.add("differential", "Up ÷ down", d.up / d.down, Quantity::ratio, "of the surface, at equal turns of the servo",
          "both full travels", fmt::format("{} ÷ {}", f.out.deg(d.up), f.out.deg(d.down)), planeGeometry, from);
  f.add("gain", "Turns for a degree of the servo", std::abs(d.gain), Quantity::ratio, plane + ", about rest",
        "arm × sin(arm to rod) ÷ (horn × sin(horn to rod))",
        fmt::format("rod stands at {} to the arm and {} to the horn",
                    f.out.deg(linkageAt(d.bars, 0).value_or(LinkageAt{}).onArm),
                    f.out.deg(linkageAt(d.bars, 0).value_or(LinkageAt{}).onHorn)),
        planeGeometry, from);
  f.add("play", "Play at the trailing edge", d.playAtEdge, Quantity::length, "where it is widest, up and down together",
        "play at the horn's pin ÷ horn × chord behind the hinge line",
        fmt::format("{} ÷ {} × {}", f.out.len(f.s.drive.play), f.out.len(f.s.drive.horn), f.out.len(widest)),
        planeGeometry, f.from({"drive.play", "drive.horn"}));
  if (f.s.drive.by == MovedBy::pullPull)
    f.add("slack", "Cords: slack at worst", d.slack, Quantity::length, "of the one that does not pull",
          "cords as long as at rest; − where both would be stretched", fmt::format("tightest {}", f.out.len(d.tight)),
          planeGeometry, from);
  if (d.torque > 0) {
    f.add("torque", "Servo has to bear", d.torque, Quantity::moment,
          fmt::format("at {:.0f} m/s and full travel, the worse way{}", f.s.speed, f.made.wire ? "; both halves" : ""),
          f.made.wire ? "twice the air's moment × turn per turn of the servo"
                      : "air's moment × turn per turn of the servo",
          fmt::format("{} × turn per turn there", told(f.made.fullMoment, Quantity::moment, f.w.design.unit)),
          thinAerofoil, f.from({"speed", "up", "down", "drive.arm", "drive.horn"}), true);
    f.add("reserve", "Reserve of the servo", servo.torque / d.torque, Quantity::ratio, servo.label,
          "its torque ÷ what it has to bear",
          fmt::format("{} ÷ {}", told(servo.torque, Quantity::moment, f.w.design.unit),
                      told(d.torque, Quantity::moment, f.w.design.unit)),
          servo.source, f.from({"drive.servo", "speed"}), true);
  }
  const auto seat = f.from({"drive.servo", "drive.plate", "drive.servoChord", "drive.at"});
  f.add("servoThere", "Depth for the servo", d.seat.there, Quantity::length,
        fmt::format("between the covers where it lies on its side, {} to {} behind the nose, {} out",
                    f.out.len(d.seat.from), f.out.len(d.seat.to), f.out.len(d.at.t)),
        "the least along its length", fmt::format("it needs {} with its plate", f.out.len(d.seat.needs)), ruledLoft,
        seat);
  f.add("servoBay", "Clear between its ribs", d.seat.bay, Quantity::length,
        fmt::format("R{} to R{}, along the span", d.seat.ribInside, d.seat.ribOutside), "from wood to wood",
        fmt::format("it needs {}", f.out.len(d.seat.bayNeeds)), planeGeometry, seat);
}

void slideFigures(const SurfaceTold& f) {
  if (!slides(f.s)) return;
  const Track track(f.s.slide);
  const auto from = f.from({"slide.midAft", "slide.midDown", "slide.endAft", "slide.endDown", "slide.pinsApart"});
  const char* rule = "a parabola through the three places, straight on before them; two pins ride in it";
  for (const bool end : {false, true}) {
    const double aft = end ? f.s.slide.endAft : f.s.slide.midAft;
    f.add(end ? "slideTurn" : "slideTurnMid", end ? "Turned at the track's end" : "Turned on its way",
          track.at(aft).turn, Quantity::angle,
          fmt::format("its rear pin {} aft and {} down from rest", f.out.len(aft), f.out.len(-track.height(aft))), rule,
          fmt::format("pins {} apart", f.out.len(f.s.slide.pinsApart)), planeGeometry, from, end);
  }
  f.add("slideLength", "Slot of the track", track.length(), Quantity::length,
        fmt::format("along its middle, {} wide with its lining", f.out.len(f.s.slide.pin + 2 * f.s.slide.lining)), rule,
        fmt::format("from the front pin at rest to the rear one at its end"), planeGeometry, from);
}

void torqueRodFigures(const SurfaceTold& f) {
  if (!f.made.driven || f.s.drive.by != MovedBy::torqueRod) return;
  const Drive& d = f.s.drive;
  const Material& steel = f.w.design.tables.named(joinWireMaterial);
  const double polar = pi / 32 * std::pow(d.wire, 4);
  const auto from = f.from({"drive.wire", "drive.wireLong", "speed"});
  f.add("rodTwist", "Its rod twists by", f.made.fullMoment * d.wireLong / (steel.shear * polar), Quantity::angle,
        "from crank to surface, under the air's moment at full travel", "M l ÷ (G J), J = π d⁴ ÷ 32",
        fmt::format("{} × {} ÷ ({:.0f} MPa × {:.3g} mm⁴)", told(f.made.fullMoment, Quantity::moment, f.w.design.unit),
                    f.out.len(d.wireLong), steel.shear, polar),
        "torsion of a round bar; " + steel.source, from, true);
  f.add("rodReserve", "Reserve of its rod",
        steel.shearStrength * pi * std::pow(d.wire, 3) / 16 / std::max(f.made.fullMoment, 1e-9), Quantity::ratio,
        "against shear, at full travel", "τ π d³ ÷ 16 ÷ M", told(f.made.fullMoment, Quantity::moment, f.w.design.unit),
        "torsion of a round bar; " + steel.source, from);
}

void joinWireFigures(const SurfaceTold& f) {
  if (!f.made.wire) return;
  const JoinWire& wire = *f.made.wire;
  const Drive& d = f.s.drive;
  const Material& steel = f.w.design.tables.named(joinWireMaterial);
  const auto shape = f.from({"drive.joinWire", "drive.joinIn", "drive.joinLeg", "from", "endClear"}),
             load = f.from({"drive.joinWire", "drive.joinIn", "speed", "up", "down"});
  const double inside = wireBendRadius(d.joinWire);
  f.add("joinWire", "Wire of both halves, cut to", wire.length, Quantity::length,
        fmt::format("{} wire, straight, before it is bent", f.out.len(d.joinWire)),
        "from bend to bend + both legs − what its bends save, each 2 r tan(β ÷ 2) − r β",
        fmt::format("{} + 2 × {}; r {} inside and half the wire", f.out.len(wire.bends), f.out.len(d.joinLeg),
                    f.out.len(inside)),
        planeGeometry, shape, true);
  f.add("joinBends", "From bend to bend", wire.bends, Quantity::length,
        "along its middle, corner to corner; legs lie along the ribs", "inner end to inner end + twice into a half",
        fmt::format("{} + 2 × {}", f.out.len(wire.apart), f.out.len(d.joinIn)), planeGeometry, shape, true);
  f.add("joinBend", "Bend each end through", wire.bend, Quantity::angle, "both to the same side, flat on the bench",
        "90° − sweep of the hinge line", fmt::format("sweep {}", f.out.deg(f.made.line.sweep)), planeGeometry, shape,
        true);
  f.add("joinKink", "Hinge lines of both halves", wire.kink, Quantity::angle,
        "one against the other, across the middle", "2 asin(what lies aside ÷ along): sweep and dihedral together",
        f.out.deg(f.made.line.sweep), planeGeometry, f.from({"chordFrom", "chordTo", "/join.dihedral.angle"}));
  f.add("joinLags", "The other half lags by", wire.lags, Quantity::angle,
        d.by == MovedBy::nothing ? "each against the wire's middle, where it is taken to be moved; at full travel"
                                 : "against the half that is moved, at full travel",
        "M l ÷ (G J), J = π d⁴ ÷ 32",
        fmt::format("{}, G {:.0f} MPa", told(f.made.fullMoment, Quantity::moment, f.w.design.unit), steel.shear),
        "torsion of a round bar; " + steel.source, load, true);
  if (wire.reserve > 0)
    f.add("joinReserve", "Reserve of that wire", wire.reserve, Quantity::ratio,
          "bent where its leg begins, or twisted between: the less of both", "σ π d³ ÷ 32 ÷ M, τ π d³ ÷ 16 ÷ M",
          told(f.made.fullMoment, Quantity::moment, f.w.design.unit),
          "bending and torsion of a round bar; " + steel.source, load);
}

void lineFigures(const SurfaceTold& f) {
  f.add("length", "Length", f.made.length, Quantity::length, "along its hinge line, from end to end",
        "length along the span, less what it stands clear ÷ cos(sweep of the hinge line)",
        fmt::format("{} ÷ cos {}", f.out.len(f.made.outer.t - f.made.inner.t), f.out.deg(f.made.line.sweep)),
        planeGeometry, f.from({"from", "to", "endClear"}), true);
  f.add("off", "Hinge line off where it should lie", f.made.line.worstGap, Quantity::length,
        fmt::format("upright, at worst, {} out from {}", f.out.len(f.made.line.worstGapAt), innerEnd(f.w.design)),
        "straight from end to end; the face between is not quite", f.out.len(f.made.line.worstGap), ruledLoft,
        f.from({"chordFrom", "chordTo", "at"}));
  const double widest = std::max(f.made.inner.chord, f.made.outer.chord) * std::cos(f.made.line.sweep);
  for (const bool up : {true, false}) {
    const double turn = up ? f.made.line.up : f.made.line.down;
    if (turn <= 0) continue;
    const bool mm = f.s.travelIn == TravelIn::millimetres;
    const std::string where = "of the trailing edge where it is widest, upright from rest";
    f.add(up ? "travelUp" : "travelDown", up ? "Travel up" : "Travel down", mm ? turn : widest * std::sin(turn),
          mm ? Quantity::angle : Quantity::length, mm ? "about the hinge line" : where,
          mm ? "asin(rise ÷ chord behind the hinge line)" : "chord behind the hinge line × sin(turn)",
          fmt::format("{} behind, {}", f.out.len(widest), f.out.deg(turn)), planeGeometry,
          f.from({"travelIn", up ? "up" : "down", up ? "upMm" : "downMm"}), true);
  }
  for (std::size_t i = 0; i < f.made.hinges.size(); ++i) {
    const HingePlace& place = f.made.hinges[i];
    f.add(fmt::format("hinge.{}", i + 1).c_str(), fmt::format("Hinge {} of {}", i + 1, f.made.hinges.size()),
          place.along, Quantity::length,
          fmt::format("from its inner end along the hinge line{}",
                      place.rib ? fmt::format("; let into R{}", *place.rib) : std::string()),
          "the outermost so far from its ends, evenly between", fmt::format("{} long", f.out.len(f.made.length)),
          "common practice", f.from({"hinges.count", "hinges.apart", "hinges.fromEnd"}));
  }
}

} // namespace

void surfaceFigures(const TruePanel& w, FigureList& out) {
  for (const SurfaceMade& made : w.surfaces) {
    const Surface& s = w.design.surfaces[static_cast<std::size_t>(made.line.surface)];
    const SurfaceTold told{w,
                           made,
                           s,
                           out,
                           fmt::format("surface.{}.", made.line.surface + 1),
                           fmt::format("surfaces.{}.", made.line.surface),
                           s.name};
    if (!s.whole()) {
      lineFigures(told);
      for (const bool outer : {false, true}) endFigures(told, outer);
      facingFigures(told);
    }
    airFigures(told);
    linkageFigures(told);
    torqueRodFigures(told);
    joinWireFigures(told);
    slideFigures(told);
  }
  const bool opened = std::any_of(w.surfaces.begin(), w.surfaces.end(), [&](const SurfaceMade& made) {
    return w.design.surfaces[static_cast<std::size_t>(made.line.surface)].partsRibs();
  });
  const auto& twist = w.strength.twist;
  const auto uncut = twist && opened ? twistTest(w.design, w.shape.loft, w.frame, false) : std::nullopt;
  if (uncut && uncut->twist > 0)
    out.add(
        {"surface.softer",
         "Twist, surfaces cut out ÷ whole",
         twist->twist / uncut->twist,
         Quantity::ratio,
         Stage::surfaces,
         "the panel under the twist test's couple, over the same with its tail whole; below 1 where the facing is "
         "stiffer than the edge was",
         w.design.built == Built::ribs ? "two space frames" : "∫ T ÷ GJ of what lies before the hinge line, and of all",
         fmt::format("{} ÷ {}", out.deg(twist->twist), out.deg(uncut->twist)),
         w.design.built == Built::ribs ? "direct stiffness method of a space frame"
                                       : "thin sections by St Venant, closed ones by Bredt",
         {"flying.twistCouple"}});
}

/// Of the lift that ailerons turn the wing with, by strip theory: how fast it rolls for their travel.
void rollFigures(const WholeWing& wing, FigureList& out) {
  double turns = 0, damps = 0, turn = 0;
  std::vector<std::string> from;
  for (const TruePanel& p : wing.panels) {
    damps += dampingOf(p);
    turns += rollingOf(p, [](const SurfaceMade& made) { return (made.line.up + made.line.down) / 2; });
    for (const SurfaceMade& made : p.surfaces)
      if (rolls(p.design.surfaces[static_cast<std::size_t>(made.line.surface)].kind)) {
        turn = std::max(turn, (made.line.up + made.line.down) / 2);
        const std::string path = pathOf(p.design.id) + fmt::format("surfaces.{}.", made.line.surface);
        for (const char* what : {"from", "to", "up", "down"}) from.push_back(path + what);
      }
  }
  if (turns <= 0 || !wing.mirrored) return;
  const double helix = turns / damps * wing.planform.halfSpan;
  out.add({"surfaces.roll", "Rolls at full aileron: p b ÷ 2V", helix, Quantity::ratio, Stage::surfaces,
           "steady; 0.07 to 0.1 is called brisk, 0.03 gentle (common practice)",
           "half span × ∫ τ δ c y dy ÷ ∫ c y² dy, δ the mean of up and down",
           fmt::format("δ {}; ∫ c y² dy = {:.4g} mm⁴", out.deg(turn), damps), "strip theory, no loss at gaps or ends",
           from, true});
}

} // namespace eup
