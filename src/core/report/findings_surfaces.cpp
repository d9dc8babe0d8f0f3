// What is to be said against surfaces on hinges.
#include "core/described/validate.h"
#include "core/report/finder.h"
#include "core/surfaces/track.h"
#include <algorithm>
#include <cmath>

namespace eup {
namespace {

/// One surface that findings are about.
struct Accused {
  Finder f;
  const Surface& s;
  std::string path;
  void say(const char* key, Severity severity, std::string what, std::string detail, std::string remedy,
           std::initializer_list<const char*> decisions, std::optional<int> rib = {}) const {
    Finding finding{key, severity, Stage::surfaces, std::move(what), std::move(detail), std::move(remedy), rib, {}};
    for (const char* d : decisions) finding.decisions.push_back(path + d);
    f.out.push_back(std::move(finding));
  }
  std::string deg(double rad) const { return told(rad, Quantity::angle, f.w.design.unit); }
};

void placeFindings(const Accused& a, const SurfaceMade* made) {
  const double span = a.f.w.shape.loft.span();
  if (!made) {
    a.say("surface.none", Severity::serious, fmt::format("The {} lies on no panel", a.s.name),
          fmt::format("From {} to {}; the panel is {} long", a.f.len(a.s.from), a.f.len(a.s.to), a.f.len(span)),
          "Let it begin and end within the panel, its outer end farther out.", {"from", "to", "endClear"});
    return;
  }
  if (!a.s.whole() && a.s.to > span + 0.01)
    a.say("surface.long", Severity::warning, fmt::format("The {} is longer than its panel", a.s.name),
          fmt::format("It should reach {}; the panel ends at {}, and it there", a.f.len(a.s.to), a.f.len(span)),
          "End it on the panel; on the next one a surface of its own goes on from it.", {"to"});
  for (std::size_t i = 0; i < a.f.w.surfaces.size(); ++i) {
    const SurfaceMade& other = a.f.w.surfaces[i];
    if (other.line.surface <= made->line.surface) continue;
    const Surface& o = a.f.w.design.surfaces[static_cast<std::size_t>(other.line.surface)];
    if (a.s.whole() || o.whole() || a.s.plateLike() != o.plateLike()) continue;
    if (std::min(made->line.to, other.line.to) - std::max(made->line.from, other.line.from) > 0.01)
      a.say("surface.overlap", Severity::serious, fmt::format("The {} and the {} lie in one place", a.s.name, o.name),
            fmt::format("{} to {} and {} to {}", a.f.len(made->line.from), a.f.len(made->line.to),
                        a.f.len(other.line.from), a.f.len(other.line.to)),
            "End the one where the other begins.", {"from", "to"});
  }
}

/// What stands where it is cut.
void cutFindings(const Accused& a, const SurfaceMade& made) {
  const TruePanel& w = a.f.w;
  const bool wood = w.design.built == Built::ribs;
  for (const Rib& rib : w.frame.ribs) {
    if (!wood) break;
    const auto [in, out] = rib.body();
    const bool inner = rib.t() <= made.line.from + 1e-6 && rib.t() + out > made.line.cutFrom - 0.05 &&
                       made.line.cutFrom > made.line.from,
               outer = rib.t() >= made.line.to - 1e-6 && rib.t() + in < made.line.cutTo + 0.05 &&
                       made.line.cutTo < made.line.to;
    if (inner || outer)
      a.say("surface.end", Severity::warning, fmt::format("{} stands where the {} ends", rib.name(), a.s.name),
            fmt::format("It is {} thick; the surface stands clear of its middle by {}", a.f.len(rib.thickness),
                        a.f.len(a.s.endClear)),
            fmt::format("Let the surface {} farther from it, or leave more than half its thickness clear.",
                        inner ? "begin" : "end"),
            {inner ? "from" : "to", "endClear"}, rib.number);
  }
  SharedFault behind;
  std::string which;
  for (const Rib& rib : w.frame.ribs)
    for (const HingeCut& cut : rib.hinges)
      if (cut.surface == made.line.surface)
        for (std::size_t k = 0; k < rib.sparX.size(); ++k) {
          if (!w.frame.spars[k].reaches(rib.t())) continue;
          const double half = sparWidth(w.design.spars[k], w.frame.spars[k].share(rib.t())) / 2;
          const double front = cut.at.hinge.x() - a.s.wingFacing - cut.at.noseRadius - a.s.gap / 2;
          if (rib.sparX[k] + half > front)
            behind.add(rib.number, rib.sparX[k] + half - front), which = w.design.spars[k].name;
        }
  if (!behind.ribs.empty())
    a.say("surface.spar", Severity::serious, fmt::format("The {} would be cut through the {}", a.s.name, which),
          fmt::format("At {} the spar's rear lies {} behind where the wing ends", ribNames({behind.worstRib}),
                      a.f.len(behind.worst)),
          "Lay the hinge line farther aft, or the spar forward.", {"chordFrom", "chordTo", "tailFrom", "tailTo"},
          behind.worstRib);
  if (made.ribs.empty() && a.s.ofRibs() && wood)
    a.say("surface.noRib", Severity::warning, fmt::format("No rib is in the {}", a.s.name), "It lies between two ribs",
          "Make it longer, set ribs closer, or make it of one piece.", {"from", "to", "built"});
  const double stock = w.design.trailing.onRib();
  if (a.s.ofRibs() && std::min(made.inner.chord, made.outer.chord) < stock + a.s.facing)
    a.say("surface.stock", Severity::warning, fmt::format("The {} is hardly more than the trailing edge", a.s.name),
          fmt::format("{} behind the hinge line; stock and facing take {}",
                      a.f.len(std::min(made.inner.chord, made.outer.chord)), a.f.len(stock + a.s.facing)),
          "Make it of one solid piece.", {"built", "facing", "chordFrom", "chordTo"});
  for (const bool own : {false, true}) {
    const FacingPull pull = facingPull(w.design, w.frame, made, own);
    constexpr double seen = 0.8; // mm
    if (pull.bent > seen)
      a.say("surface.pull", Severity::note,
            fmt::format("The covering pulls the facing of the {} in", own ? a.s.name : "wing beside the " + a.s.name),
            fmt::format("By about {} in the middle of a bay of {}", a.f.len(pull.bent), a.f.len(pull.bay)),
            own ? "A thicker facing, infills behind it, or ribs closer together."
                : "A thicker facing on the wing, or ribs closer together.",
            {own ? "facing" : "wingFacing", "infill"});
  }
  constexpr double straight = 0.3; // mm
  if (made.line.worstGap > straight)
    a.say("surface.straight", Severity::warning, fmt::format("The {}'s hinge line leaves the face", a.s.name),
          fmt::format("It is straight; the face lies {} off it, {} out", a.f.len(made.line.worstGap),
                      a.f.len(made.line.worstGapAt)),
          "Keep to one chord fraction, hinge it at the middle, or divide the surface.", {"chordTo", "at", "by"});
}

void bevelFindings(const Accused& a, const SurfaceMade& made) {
  const bool tall = made.inner.cut.depth > 0.2 && made.outer.cut.depth > 0.2;
  if (!tall) {
    a.say("surface.thin", Severity::serious, fmt::format("There is nothing to hinge the {} on", a.s.name),
          fmt::format("The section is {} deep there", a.f.len(std::min(made.inner.cut.depth, made.outer.cut.depth))),
          "Lay the hinge line farther forward.", {"chordFrom", "chordTo", "tailFrom", "tailTo"});
    return;
  }
  if (a.s.nose == SurfaceNose::round) return;
  double back = 0, chord = std::min(made.inner.chord, made.outer.chord);
  for (const SurfaceEnd* end : {&made.inner, &made.outer})
    back = std::max({back, end->cut.backTop, end->cut.backBottom});
  constexpr double mostOfChord = 0.4;
  if (back > mostOfChord * chord)
    a.say("surface.travel", Severity::serious, fmt::format("No bevel clears the {}'s travel", a.s.name),
          fmt::format("Its front would be cut back by {} of {}", a.f.len(back), a.f.len(chord)),
          "Turn it less, hinge it at its middle, or give it a round nose.",
          {"up", "down", "upMm", "downMm", "at", "nose"});
  else if (a.s.ofRibs() && a.s.facing > 0 && back > a.s.facing - 0.5)
    a.say("surface.facing", Severity::warning, fmt::format("The bevel goes through the {}'s facing", a.s.name),
          fmt::format("It is cut back by {}; the facing is {} thick", a.f.len(back), a.f.len(a.s.facing)),
          fmt::format("A facing of {} or more.", a.f.len(std::ceil(back + 1))), {"facing", "up", "down", "at"});
}

void slideFindings(const Accused& a) {
  const Slide& t = a.s.slide;
  if (a.s.kind != SurfaceKind::flap || !t.fitted) return;
  if (!slides(a.s))
    return a.say("surface.trackOrder", Severity::serious, fmt::format("The {}'s track has no order", a.s.name),
                 fmt::format("On its way {} aft, at its end {}", a.f.len(t.midAft), a.f.len(t.endAft)),
                 "The end lies farther aft than the place on its way.", {"slide.midAft", "slide.endAft"});
  const Track track(t);
  if (track.at(t.endAft).turn < -0.01 || track.at(t.midAft).turn < -0.01)
    a.say("surface.trackUp", Severity::warning, fmt::format("The {}'s track turns it up", a.s.name),
          fmt::format("{} at its end", a.deg(track.at(t.endAft).turn)),
          "Let the slot fall more steeply towards its end.", {"slide.midDown", "slide.endDown"});
  if (t.lining < 0.3)
    a.say("surface.trackBare", Severity::note, fmt::format("The {}'s slot is bare wood", a.s.name), "Pins wear it wide",
          "Line it with hard strip, or harden it with thin glue.", {"slide.lining"});
}

void joinWireFindings(const Accused& a, const SurfaceMade& made) {
  if (!made.wire) return;
  const JoinWire& wire = *made.wire;
  constexpr double little = 2, much = 8; // degrees: what hinges give without binding; common practice
  if (wire.kink > degToRad(little))
    a.say("surface.joinKink", wire.kink > degToRad(much) ? Severity::serious : Severity::warning,
          fmt::format("The {}'s halves turn about two lines", a.s.name),
          fmt::format("Their hinge lines stand at {}: on one wire they bind", a.deg(wire.kink)),
          "Lay the hinge line square to the middle, or move each half by itself.",
          {"chordFrom", "chordTo", "drive.joinWire"});
  if (a.s.drive.joinIn > made.length / 2)
    a.say("surface.joinIn", Severity::warning, fmt::format("The {}'s wire reaches past its middle", a.s.name),
          fmt::format("{} into a half that is {} long", a.f.len(a.s.drive.joinIn), a.f.len(made.length)),
          "Bend it aft farther in.", {"drive.joinIn"});
  for (std::size_t i = 0; i < made.hinges.size(); ++i)
    if (made.hinges[i].along - a.s.hinges.width / 2 < a.s.drive.joinIn + a.s.drive.joinWire / 2)
      a.say("surface.joinHinge", Severity::warning, fmt::format("The {}'s wire meets its hinge {}", a.s.name, i + 1),
            fmt::format("It runs {} in; the hinge begins {} in", a.f.len(a.s.drive.joinIn),
                        a.f.len(made.hinges[i].along - a.s.hinges.width / 2)),
            "Bend it aft nearer the middle, or set the first hinge farther out.", {"drive.joinIn", "hinges.fromEnd"});
  if (a.s.drive.joinLeg > made.inner.chord)
    a.say("surface.joinLeg", Severity::serious, fmt::format("The {}'s wire comes out behind", a.s.name),
          fmt::format("A leg of {} in {} of chord", a.f.len(a.s.drive.joinLeg), a.f.len(made.inner.chord)),
          "A shorter leg.", {"drive.joinLeg"});
  if (std::min(made.inner.cut.depth, made.outer.cut.depth) < a.s.drive.joinWire + 1)
    a.say("surface.joinThick", Severity::warning, fmt::format("The {}'s wire is as thick as its section", a.s.name),
          fmt::format("{} of wire in {}", a.f.len(a.s.drive.joinWire), a.f.len(made.inner.cut.depth)),
          "A thinner wire, let in flush.", {"drive.joinWire"});
  if (wire.lags > degToRad(little))
    a.say("surface.joinSoft", Severity::warning, fmt::format("The {}'s wire twists", a.s.name),
          fmt::format("One half lags the other by {} at full travel", a.deg(wire.lags)),
          "A thicker wire, less of it, or less travel at that speed.", {"drive.joinWire", "drive.joinIn", "speed"});
  if (wire.reserve > 0 && wire.reserve < 1.5)
    a.say("surface.joinWeak", wire.reserve < 1 ? Severity::serious : Severity::warning,
          fmt::format("The {}'s wire {}", a.s.name, wire.reserve < 1 ? "bends" : "nearly bends"),
          fmt::format("Its strength is {:.2f} of the stress at full travel", wire.reserve), "A thicker wire.",
          {"drive.joinWire", "speed"});
}

void driveFindings(const Accused& a, const SurfaceMade& made) {
  if (!made.driven) return;
  const Driven& d = *made.driven;
  const Servo& servo = a.f.w.design.tables.servo(a.s.drive.servo);
  const double full = degToRad(a.s.drive.servoDeg);
  if (d.bindsPlus < full - 1e-6 || d.bindsMinus < full - 1e-6)
    a.say("surface.binds", Severity::serious, fmt::format("The {}'s linkage binds", a.s.name),
          fmt::format("The servo can turn {} one way and {} the other", a.deg(d.bindsPlus), a.deg(d.bindsMinus)),
          "A shorter arm, a longer horn, or other angles at rest.",
          {"drive.arm", "drive.horn", "drive.armAngle", "drive.hornAngle", "drive.servoAngle"});
  else if (const auto rest = linkageAt(d.bars, 0);
           !rest || std::min(std::sin(rest->onArm), std::sin(rest->onHorn)) < std::sin(degToRad(15)))
    a.say("surface.dead", Severity::warning, fmt::format("The servo pulls the {} badly", a.s.name),
          rest ? fmt::format("At rest the rod stands at {} to the arm and {} to the horn", a.deg(rest->onArm),
                             a.deg(rest->onHorn))
               : std::string("The rod has no length"),
          "Set arm and horn about square to the rod.", {"drive.armAngle", "drive.hornAngle", "drive.servoUp"});
  for (const bool up : {true, false}) {
    const double asked = up ? made.line.up : made.line.down, given = up ? d.up : d.down;
    if (asked <= 0) continue;
    const char* way = up ? "up" : "down";
    if (given < asked - degToRad(0.1))
      a.say("surface.little", Severity::warning,
            fmt::format("The servo does not give the {} all its travel {}", a.s.name, way),
            fmt::format("{} of {}", a.deg(given), a.deg(asked)), "A longer arm, a shorter horn, or less travel.",
            {"drive.arm", "drive.horn", up ? "up" : "down"});
    else if (a.s.partsRibs() && a.s.nose == SurfaceNose::bevelled && given > asked + degToRad(3))
      a.say("surface.much", Severity::note,
            fmt::format("The servo turns the {} farther {} than it clears", a.s.name, way),
            fmt::format("{}, and it is bevelled for {}", a.deg(given), a.deg(asked)),
            "Bevel it for more, take a longer horn, or keep the servo to less.", {"drive.horn", up ? "up" : "down"});
  }
  if (d.torque > 0 && servo.torque < 1.5 * d.torque)
    a.say("surface.torque", servo.torque < d.torque ? Severity::serious : Severity::warning,
          fmt::format("The servo is {} for the {}", servo.torque < d.torque ? "too weak" : "hardly strong enough",
                      a.s.name),
          fmt::format("{} against {}", told(servo.torque, Quantity::moment, a.f.w.design.unit),
                      told(d.torque, Quantity::moment, a.f.w.design.unit)),
          "A stronger one, a longer horn, less travel or less speed.",
          {"drive.servo", "drive.horn", "speed", "up", "down"});
  if (d.diveTorque > servo.torque)
    a.say("surface.dive", Severity::warning, fmt::format("In a dive the air turns the {}'s servo back", a.s.name),
          fmt::format("{} against {}", told(d.diveTorque, Quantity::moment, a.f.w.design.unit),
                      told(servo.torque, Quantity::moment, a.f.w.design.unit)),
          "A stronger servo, or move it little when it is fast.", {"drive.servo", "drive.horn"});
  if (d.seat.there < d.seat.needs)
    a.say("surface.servoDeep", Severity::serious, fmt::format("The {}'s servo is thicker than the wing", a.s.name),
          fmt::format("It needs {}, and there is {}", a.f.len(d.seat.needs), a.f.len(std::max(d.seat.there, 0.0))),
          "A thinner servo, farther forward or farther in, or let it stand out under a fairing.",
          {"drive.servo", "drive.servoChord", "drive.at", "drive.plate"});
  if (d.seat.onSpar)
    a.say("surface.servoSpar", Severity::serious, fmt::format("A spar runs through the {}'s servo", a.s.name),
          fmt::format("It lies from {} to {} behind the nose", a.f.len(d.seat.from), a.f.len(d.seat.to)),
          "Move it behind the spar or before it.", {"drive.servoChord"});
  if (a.f.w.design.built == Built::ribs && d.seat.bay < d.seat.bayNeeds)
    a.say("surface.servoBay", Severity::warning, fmt::format("The {}'s servo does not fit between two ribs", a.s.name),
          fmt::format("R{} to R{}: {} clear; it needs {}", d.seat.ribInside, d.seat.ribOutside, a.f.len(d.seat.bay),
                      a.f.len(d.seat.bayNeeds)),
          "Cut a rib for it and frame the hole, set the ribs wider there, or take another bay.",
          {"drive.servo", "drive.at"});
  if (!a.s.whole() && a.s.drive.by != MovedBy::torqueRod && !made.line.covers(a.s.drive.at))
    a.say("surface.hornOff", Severity::warning, fmt::format("The {}'s horn stands beside it", a.s.name),
          fmt::format("At {}; the surface reaches from {} to {}", a.f.len(a.s.drive.at), a.f.len(made.line.from),
                      a.f.len(made.line.to)),
          "Move it within the surface, opposite a hinge or a rib.", {"drive.at"});
  constexpr double farFromHinge = 40, farFromRib = 8; // mm: common practice
  const bool held =
      std::any_of(made.hinges.begin(), made.hinges.end(),
                  [&](const HingePlace& place) { return std::abs(place.t - a.s.drive.at) < farFromHinge; }) ||
      std::any_of(a.f.w.frame.ribs.begin(), a.f.w.frame.ribs.end(),
                  [&](const Rib& rib) { return rib.ofWood && std::abs(rib.t() - a.s.drive.at) < farFromRib; });
  if (a.s.partsRibs() && a.s.drive.by != MovedBy::torqueRod && made.line.covers(a.s.drive.at) && !held)
    a.say("surface.hornAlone", Severity::note, fmt::format("The {}'s horn stands between its hinges", a.s.name),
          "Neither a hinge nor a rib is beside it: what it pulls at bends",
          "Move it opposite a hinge or a rib, or put a hinge there.", {"drive.at", "hinges.count", "hinges.apart"});
  const double widest = std::max(made.inner.chord, made.outer.chord);
  constexpr double muchPlay = 0.015; // of its chord: common practice
  if (d.playAtEdge > muchPlay * widest)
    a.say("surface.play", Severity::note, fmt::format("The {} has much play", a.s.name),
          fmt::format("{} at its trailing edge; loose and heavy behind the hinge surfaces flutter",
                      a.f.len(d.playAtEdge)),
          "A longer horn, tighter pins, or a counterweight.", {"drive.play", "drive.horn"});
  if (d.tight > 0.5)
    a.say("surface.cords", Severity::warning, fmt::format("The {}'s cords are stretched as it turns", a.s.name),
          fmt::format("By {} together at worst", a.f.len(d.tight)),
          "Arm and horn alike, both square to the line from axis to hinge line.",
          {"drive.armAngle", "drive.hornAngle", "drive.arm", "drive.horn", "drive.servoUp"});
}

} // namespace

void surfaceFindings(Finder f) {
  const auto& all = f.w.design.surfaces;
  for (std::size_t k = 0; k < all.size(); ++k) {
    const Accused a{f, all[k], fmt::format("surfaces.{}.", k)};
    const auto made = std::find_if(f.w.surfaces.begin(), f.w.surfaces.end(),
                                   [&](const SurfaceMade& m) { return m.line.surface == static_cast<int>(k); });
    const bool there = made != f.w.surfaces.end();
    placeFindings(a, there ? &*made : nullptr);
    if (!there) continue;
    if (a.s.partsRibs()) {
      cutFindings(a, *made);
      bevelFindings(a, *made);
    }
    driveFindings(a, *made);
    joinWireFindings(a, *made);
    slideFindings(a);
  }
}

void hingeJoinFindings(const WholeWing& wing, std::vector<Finding>& out) {
  for (std::size_t k = 1; k < wing.panels.size(); ++k) {
    const TruePanel &in = wing.panels[k - 1], &p = wing.panels[k];
    for (const SurfaceMade& made : p.surfaces) {
      const Surface& s = p.design.surfaces[static_cast<std::size_t>(made.line.surface)];
      if (!s.goesOn) continue;
      const auto same = std::find_if(in.surfaces.begin(), in.surfaces.end(), [&](const SurfaceMade& m) {
        return std::find(in.design.goesOut.begin(), in.design.goesOut.end(), m.line.surface) != in.design.goesOut.end();
      });
      if (same == in.surfaces.end()) continue;
      // Both axes in the finished wing.
      const auto ends = [&](const TruePanel& panel, const HingeLine& line, const PanelFrame& frame) {
        const auto at = [&](double t) {
          const Point q = line.axis.at(t);
          return frame.at(q, t);
        };
        return std::pair<Point3, Point3>(at(0), at(panel.shape.loft.span()));
      };
      const auto a = ends(in, same->line, wing.inSpace[k - 1]), b = ends(p, made.line, wing.inSpace[k]);
      const Point3 u = (a.second - a.first).normalized(), v = (b.second - b.first).normalized();
      const double kink = std::acos(std::clamp(u.dot(v), -1.0, 1.0)), step = (b.first - a.second).norm();
      constexpr double hair = 0.2; // mm that a hinge gives
      const double apart = step + std::sin(kink) * std::min(same->length, made.length) / 2;
      if (apart <= hair) continue;
      const std::string path = fmt::format("surfaces.{}.", made.line.surface);
      Finding f{"surface.kink",
                Severity::serious,
                Stage::surfaces,
                fmt::format("The {} cannot be one across the join", s.name),
                fmt::format("Its hinge line bends there by {} and steps by {}",
                            told(kink, Quantity::angle, p.design.unit), told(step, Quantity::length, p.design.unit)),
                "Make them two surfaces, each with its own end and its own horn.",
                {},
                {path + "goesOn", path + "chordFrom", path + "chordTo"}};
      out.push_back(inPanel(std::move(f), p.design.id, p.design.of, ""));
    }
  }
}

} // namespace eup
