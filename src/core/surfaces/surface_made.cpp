#include "core/surfaces/surface_made.h"
#include "core/geometry/polyline.h"
#include "core/strength/soft_wing.h"
#include <algorithm>
#include <cmath>

namespace eup {
namespace {

/// The share of its travel that a surface is taken to be turned by in a dive.
constexpr double turnedInDive = 1.0 / 3;

double chordAt(const PanelLoft& loft, const HingeLine& line, const Surface& s, double t) {
  if (s.plateLike()) return s.plateChord;
  const ChordFrame f = loft.frameAt(t);
  return f.chord - f.toChord(line.axis.at(t)).x();
}

/// Mass of what runs along the span, and its moment about the axis, at one place: g/mm and g.
struct Weight {
  double grams = 0, moment = 0;
  void add(double g, double behind) { grams += g, moment += g * behind; }
};

/// What lies at one place of a surface of the panel's own make: g a mm, and how much of its section is taken up, mm².
struct Laid {
  Weight weight, section;
  void add(double area, double density, double behind) {
    weight.add(area * density * 1e-6, behind);
    section.add(area, behind);
  }
};

/// What of the panel's sheet lies on it, behind its facing, and the cloth on that.
void addSheet(Laid& laid, const PanelBrief& d, const PanelLoft& loft, const HingeLine& line, double t) {
  const ChordFrame f = loft.frameAt(t);
  const double hinge = f.toChord(line.axis.at(t)).x();
  const std::vector<Zone> zones = zonesOf(d, loft);
  if (zones.empty()) return;
  const auto gaps = sheetGapsAt(d, loft, line, t);
  for (const Zone& zone : zones) {
    const bool top = zone.place.face == Face::upper;
    const auto& gap = gaps[top ? 0 : 1];
    if (!gap || t < zone.place.inner || t > zone.place.outer) continue;
    const double from = std::max(zone.place.from.at(t) * f.chord, gap->surface), to = zone.place.to.at(t) * f.chord;
    if (to <= from) continue;
    const double middle = (from + to) / 2 - hinge;
    laid.add((to - from) * zone.of.thickness, d.tables.named(zone.of.material).density, middle);
    if (zone.what != Zone::What::tail)
      laid.weight.add((to - from) * d.cloth.layers(top) * d.cloth.gsm * (1 + d.cloth.resinRatio) * 1e-6, middle);
  }
}

/// Stock along its tail.
void addTail(Laid& laid, const PanelBrief& d, const PanelLoft& loft, const HingeLine& line, double t) {
  const TrailingEdge& te = d.trailingEdge;
  if (te.kind == TrailingEdgeKind::none || te.kind == TrailingEdgeKind::twoSheets) return; // sheets are zones
  const ChordFrame f = loft.frameAt(t);
  const double wide = d.trailing.onRib(), behind = f.chord - f.toChord(line.axis.at(t)).x();
  const double x = std::clamp((f.chord - wide) / f.chord, 0.0, 1.0);
  const double deep = loft.at(Face::upper, x, t).y() - loft.at(Face::lower, x, t).y();
  const bool square = te.kind == TrailingEdgeKind::square;
  laid.add(wide * (square ? te.height : deep / 2), d.tables.named(te.material).density,
           behind - wide * (square ? 0.5 : 2.0 / 3));
}

/// What a panel without ribs is of, where nothing else is: its foam, or its sheet with the cloth on both faces.
void addBody(Laid& laid, const PanelBrief& d, const Region& outline, double hinge, double chord) {
  if (d.built == Built::ribs || outline.empty()) return;
  const std::string& material = d.built == Built::foam ? d.foam.material : d.sheet.material;
  const double area = areaOf(outline), behind = area > 0 ? centroidOf(outline).x() - hinge : 0,
               left = area - laid.section.grams;
  if (left > 0) laid.add(left, d.tables.named(material).density, (area * behind - laid.section.moment) / left);
  if (d.built == Built::sheet)
    laid.weight.add(chord * (d.cloth.top + d.cloth.bottom) * d.cloth.gsm * (1 + d.cloth.resinRatio) * 1e-6, chord / 2);
}

Weight weightAt(const PanelBrief& d, const PanelLoft& loft, const HingeLine& line, const Surface& s, double t) {
  Weight sum;
  const double chord = chordAt(loft, line, s, t);
  const auto heavy = [&](const std::string& material) { return d.tables.named(material).density * 1e-6; };
  if (s.plateLike()) {
    sum.add(chord * s.plate * heavy(s.material), chord / 2);
    return sum;
  }
  const HingeSection cut = hingeSectionAt(d, loft, line, t);
  const auto centre = [&](const Region& region) { return centroidOf(region).x() - cut.hinge.x(); };
  const Region outline{cut.outline};
  if (s.built == SurfaceBuilt::solid || s.built == SurfaceBuilt::skinned) {
    const bool skinned = s.built == SurfaceBuilt::skinned;
    const Region core = skinned ? grown(outline, -s.skin) : outline;
    sum.add(areaOf(core) * heavy(s.material), centre(core));
    if (skinned) {
      const Region skin = subtract(outline, core);
      sum.add(areaOf(skin) * heavy(s.skinMaterial), centre(skin));
    }
  } else {
    Laid laid;
    if (!cut.facing.empty()) {
      const Region strip = intersect(outline, {cut.facing});
      laid.add(areaOf(strip), d.tables.named(s.facingMaterial).density, centre(strip));
    }
    if (d.built != Built::sheet) { // which has none, and no zones
      addTail(laid, d, loft, line, t);
      addSheet(laid, d, loft, line, t);
    }
    addBody(laid, d, outline, cut.hinge.x(), chord);
    sum.add(laid.weight.grams, 0), sum.moment += laid.weight.moment;
  }
  const CoveringStuff& cover = d.tables.covering(d.stiffening.covering);
  for (const bool top : {true, false})
    if (d.stiffening.covers(top, !top) != 0)
      sum.add(chord * cover.areaWeight * (1 + d.stiffening.dope) * 1e-6, chord / 2);
  return sum;
}

void weigh(SurfaceMade& m, const PanelBrief& d, const PanelLoft& loft, const Frame& frame, const Surface& s) {
  Weight sum;
  const double half = (m.outer.t - m.inner.t) / 2, middle = (m.outer.t + m.inner.t) / 2;
  for (const auto& [at, share] : {std::pair(-0.7745966692414834, 5.0 / 9), std::pair(0.0, 8.0 / 9),
                                  std::pair(0.7745966692414834, 5.0 / 9)}) { // Gauss's three places
    const Weight w = weightAt(d, loft, m.line, s, middle + half * at);
    sum.grams += w.grams * half * share, sum.moment += w.moment * half * share;
  }
  const auto addRib = [&](const Region& wood, double thickness, const std::string& material, double hinge) {
    sum.add(areaOf(wood) * thickness * d.tables.named(material).density * 1e-6, centroidOf(wood).x() - hinge);
  };
  for (const auto* ribs : {&frame.ribs, &frame.riblets})
    for (const Rib& rib : *ribs)
      for (const HingeCut& cut : rib.hinges)
        if (cut.surface == m.line.surface && rib.ofWood)
          addRib(cut.tail, rib.thickness, woodOf(d.ribs, rib), cut.at.hinge.x());
  if (s.ofRibs() && s.endRib > 0 && d.built == Built::ribs)
    for (const SurfaceEnd* end : {&m.inner, &m.outer})
      addRib({end->cut.outline}, s.endRib, d.ribs.material, end->cut.hinge.x());
  for (const Polyline& place : infillsOf(d, frame, m)) {
    const Point at = centroidOf(Region{place});
    sum.add(std::abs(signedArea(place)) * infillSheet * d.tables.named(s.facingMaterial).density * 1e-6,
            at.x() - m.line.axis.at(at.y()).x());
  }
  m.grams = sum.grams;
  m.behind = sum.grams > 0 ? sum.moment / sum.grams * std::cos(m.line.sweep) : 0;
  m.weight = std::max(m.grams * m.behind / s.weightArm, 0.0);
}

void blowOn(SurfaceMade& m, const PanelBrief& d, const PanelLoft& loft, const Surface& s) {
  const double chordIn = loft.frameAt(m.inner.t).chord, chordOut = loft.frameAt(m.outer.t).chord;
  const double turn = std::max(m.line.up, m.line.down);
  if (s.whole()) { // the lift acts at the quarter chord
    const auto arm = [&](const SurfaceEnd& end) { return end.cut.hinge.x() - end.frame.chord / 4; };
    const double slope = 2 * pi, q = airDensity * s.speed * s.speed / 2 * 1e-6;
    double sum = 0;
    constexpr int steps = 32;
    for (int i = 0; i < steps; ++i) {
      const double at = (i + 0.5) / steps;
      sum += (chordIn + (chordOut - chordIn) * at) * (arm(m.inner) + (arm(m.outer) - arm(m.inner)) * at) *
             (m.outer.t - m.inner.t) / steps;
    }
    m.effect = 1, m.fullMoment = std::abs(q * slope * sum * turn), m.perDegree = std::abs(q * slope * sum) * pi / 180;
    return;
  }
  if (s.plateLike()) { // held against the stream, about a flat plate's drag
    const double q = airDensity * s.speed * s.speed / 2 * 1e-6, drag = 1.2;
    m.fullMoment = q * drag * s.plateChord * s.plateChord / 2 * m.length * std::sin(m.line.up);
    return;
  }
  const double square = std::cos(m.line.sweep); // chord and stream both count square to the hinge line
  const SurfaceStrip strip{m.inner.chord * square, m.outer.chord * square, m.inner.chord / chordIn,
                           m.outer.chord / chordOut, m.length};
  const double speed = s.speed * square;
  m.effect = flapSlopes(std::clamp(m.share, 1e-3, 0.999)).lift / (2 * pi);
  m.fullMoment = hingeMoment(strip, speed, 0, turn);
  m.perDegree = hingeMoment(strip, speed, pi / 180, 0);
  if (d.flying.diveSpeed > 0) m.diveMoment = hingeMoment(strip, d.flying.diveSpeed * square, 0, turn * turnedInDive);
}

ServoSeat seatOf(const PanelBrief& d, const PanelLoft& loft, const Frame& frame, const Drive& drive,
                 const ChordFrame& at) {
  const Servo& servo = d.tables.servo(drive.servo);
  ServoSeat out;
  const double axis = drive.servoChord * at.chord;
  out.from = axis - 0.75 * servo.length, out.to = axis + 0.25 * servo.length;
  out.needs = servo.thickness + drive.plate;
  out.there = 1e9;
  constexpr int steps = 8;
  for (int i = 0; i <= steps; ++i) {
    const double f = std::clamp((out.from + (out.to - out.from) * i / steps) / at.chord, 0.0, 1.0);
    const double deep = loft.at(Face::upper, f, at.t).y() - loft.at(Face::lower, f, at.t).y();
    double cover = 0;
    for (const Face face : {Face::upper, Face::lower}) cover += coverAt(d, loft, face, f, at.t);
    out.there = std::min(out.there, deep - cover);
  }
  const Rib* in = &frame.ribs.front();
  const Rib* away = &frame.ribs.back();
  for (const Rib& rib : frame.ribs) {
    if (rib.t() <= at.t && rib.t() > in->t()) in = &rib;
    if (rib.t() > at.t && rib.t() < away->t()) away = &rib;
  }
  out.ribInside = in->number, out.ribOutside = away->number;
  const bool wood = d.built == Built::ribs;
  out.bay = away->t() - in->t() - (wood ? in->body().second - away->body().first : 0);
  out.bayNeeds = servo.height;
  for (const SparLine& line : frame.spars) {
    if (!line.reaches(at.t) || d.built == Built::sheet) continue;
    const double x = line.chordX(at),
                 half = sparWidth(d.spars[static_cast<std::size_t>(line.index)], line.share(at.t)) / 2;
    out.onSpar = out.onSpar || (x + half > out.from && x - half < out.to);
  }
  return out;
}

std::optional<Driven> drivenOf(const SurfaceMade& m, const PanelBrief& d, const PanelLoft& loft, const Frame& frame,
                               const Surface& s) {
  const Drive& drive = s.drive;
  if (drive.by == MovedBy::nothing) return std::nullopt;
  Driven out;
  const double t = std::clamp(drive.at, 0.0, loft.span());
  out.at = surfaceEndAt(d, loft, m.line, t);
  const ChordFrame& f = out.at.frame;
  const double square = std::cos(m.line.sweep);
  const auto place = [&](double x, double y) -> Point { return {x * square, y}; };
  out.bars = {place(drive.servoChord * f.chord, drive.servoUp),
              place(out.at.cut.hinge.x(), out.at.cut.hinge.y()),
              drive.arm,
              degToRad(drive.armDeg),
              drive.horn,
              degToRad(drive.hornDeg)};
  const double full = degToRad(drive.servoDeg);
  out.bindsPlus = turnsBeforeItBinds(out.bars, full), out.bindsMinus = -turnsBeforeItBinds(out.bars, -full);
  double high = 0, low = 0;
  for (const double turn : {out.bindsPlus, -out.bindsMinus})
    if (const auto at = linkageAt(out.bars, turn)) high = std::max(high, at->turn), low = std::min(low, at->turn);
  out.up = high, out.down = -low;
  if (const auto rest = linkageAt(out.bars, 0)) out.gain = rest->gain;
  const double most = pi / 2;
  if (m.line.up > 0) out.forUp = servoTurnFor(out.bars, m.line.up, most);
  if (m.line.down > 0) out.forDown = servoTurnFor(out.bars, -m.line.down, most);
  const double turned = std::max(m.line.up, m.line.down);
  for (const auto& [servo, surface] : {std::pair(out.forUp, m.line.up), std::pair(out.forDown, m.line.down)})
    if (servo && turned > 0)
      if (const auto at = linkageAt(out.bars, *servo))
        out.torque = std::max(out.torque, m.fullMoment * surface / turned * std::abs(at->gain));
  const int halves = joinsHalves(d, s) ? 2 : 1; // that one servo moves
  out.torque *= halves;
  out.diveTorque = halves * m.diveMoment * std::abs(out.gain);
  out.playTurn = drive.play / drive.horn;
  out.playAtEdge = out.playTurn * std::max(m.inner.chord, m.outer.chord) * square;
  if (drive.by == MovedBy::pullPull)
    for (int i = -8; i <= 8; ++i)
      if (const auto slack = cordSlack(out.bars, full * i / 8))
        out.slack = std::max(out.slack, *slack), out.tight = std::max(out.tight, -*slack);
  out.seat = seatOf(d, loft, frame, drive, f);
  return out;
}

std::optional<JoinWire> joinWireOf(const SurfaceMade& m, const PanelBrief& d, const Surface& s) {
  if (!joinsHalves(d, s)) return std::nullopt;
  const Drive& drive = s.drive;
  const double t = m.inner.t, radius = drive.joinWire / 2, middle = wireBendRadius(drive.joinWire) + radius;
  const Point step = (m.line.axis.tip - m.line.axis.root) / m.line.axis.span, at = m.line.axis.at(t);
  JoinWire out;
  // Outwards, seen from behind, the panel stands at its dihedral; the other half is its mirror image.
  const double outwards = t * std::cos(d.gamma) - at.y() * std::sin(d.gamma);
  out.apart = 2 * std::max(outwards, 0.0);
  const double rise = std::sin(d.gamma) + step.y() * std::cos(d.gamma), along = std::hypot(1.0, step.x(), step.y());
  out.kink = 2 * std::asin(std::min(std::hypot(step.x(), rise) / along, 1.0));
  out.bend = pi / 2 - m.line.sweep;
  out.bends = out.apart + 2 * drive.joinIn;
  // Each corner is cut by its bend: two tangents, no longer than the leg, less one arc.
  const double tangent = std::min(middle * std::tan(out.bend / 2), drive.joinLeg);
  out.length = std::max(out.bends + 2 * drive.joinLeg - 2 * (2 * tangent - middle * out.bend), out.bends);
  const Material& steel = d.tables.named(joinWireMaterial);
  const double polar = pi / 2 * std::pow(radius, 4), across = pi / 4 * std::pow(radius, 3);
  const double twisted = drive.by == MovedBy::nothing ? out.bends / 2 : out.bends; // moved at its middle, or at a half
  out.lags = m.fullMoment * twisted / (steel.shear * polar);
  if (m.fullMoment > 0)
    out.reserve =
        std::min(std::min(steel.tension, steel.compression) * across, steel.shearStrength * 2 * across) / m.fullMoment;
  return out;
}

void placeHinges(SurfaceMade& m, const Frame& frame, const Surface& s) {
  const double cosine = std::cos(m.line.sweep);
  for (const double along : hingePlaces(s.hinges, m.length)) {
    HingePlace place{m.inner.t + along * cosine, along, {}};
    for (const Rib& rib : frame.ribs)
      if (rib.ofWood && std::abs(rib.t() - place.t) < (rib.thickness + s.hinges.width) / 2) place.rib = rib.number;
    m.hinges.push_back(place);
  }
}

} // namespace

std::vector<double> hingePlaces(const Hinges& h, double length) {
  const double in = std::min(h.fromEnd, length / 4), clear = length - 2 * in;
  const int count = h.count > 0 ? h.count : std::max(2, static_cast<int>(std::ceil(clear / h.apart - 1e-9)) + 1);
  if (count == 1) return {length / 2};
  std::vector<double> out;
  out.reserve(static_cast<std::size_t>(count));
  for (int i = 0; i < count; ++i) out.push_back(in + clear * i / (count - 1));
  return out;
}

FacingPull facingPull(const PanelBrief& d, const Frame& frame, const SurfaceMade& made, bool own) {
  FacingPull out;
  const Surface& s = d.surfaces[static_cast<std::size_t>(made.line.surface)];
  const FacingStrip& strip = own ? made.facing : made.wingFacing;
  const int faces = (d.stiffening.covers(true, false) != 0 ? 1 : 0) + (d.stiffening.covers(false, true) != 0 ? 1 : 0);
  if (strip.thickness <= 0 || faces == 0 || d.built != Built::ribs) return out;
  double last = made.inner.t;
  for (const Rib& rib : frame.ribs) {
    if (!made.line.covers(rib.t())) continue;
    out.bay = std::max(out.bay, rib.t() - last), last = rib.t();
  }
  out.bay = std::max(out.bay, made.outer.t - last);
  const double depth = std::min(made.inner.cut.depth, made.outer.cut.depth),
               e = d.tables.named(s.facingMaterial).modulus;
  out.stiffness = e * depth * std::pow(strip.thickness, 3) / 12;
  if (own && s.infill > 0) out.stiffness += e * infillSheet * std::pow(s.infill, 3) / 12;
  if (out.stiffness > 0) out.bent = coveringPull * faces * std::pow(out.bay, 4) / (384 * out.stiffness);
  return out;
}

bool joinsHalves(const PanelBrief& d, const Surface& s) {
  return d.innermost() && d.mirrored && s.movesAsOne() && s.drive.joinWire > 0;
}

Polyline joinWireFromAbove(const Surface& s, const SurfaceMade& made) {
  const double t = made.inner.t, bend = t + s.drive.joinIn * std::cos(made.line.sweep);
  const auto axis = [&](double at) { return made.line.axis.at(at).x(); };
  return {{axis(t), t}, {axis(bend), bend}, {axis(bend) + s.drive.joinLeg, bend}};
}

std::optional<ServoPlate> servoPlateOf(const PanelBrief& d, const SurfaceMade& made) {
  const Drive& drive = d.surfaces[static_cast<std::size_t>(made.line.surface)].drive;
  if (!made.driven || drive.plate <= 0 || d.built != Built::ribs || made.driven->seat.bay <= 1) return std::nullopt;
  const Servo& servo = d.tables.servo(drive.servo);
  constexpr double rim = 10; // mm before and behind the servo
  const double bay = made.driven->seat.bay;
  return ServoPlate{bay, servo.length + 2 * rim, std::min(servo.height, bay), servo.length};
}

SurfaceEnd surfaceEndAt(const PanelBrief& d, const PanelLoft& loft, const HingeLine& line, double t) {
  const Surface& s = d.surfaces[static_cast<std::size_t>(line.surface)];
  SurfaceEnd out;
  out.t = t, out.frame = loft.frameAt(t);
  if (s.partsRibs())
    out.cut = hingeSectionAt(d, loft, line, t);
  else
    out.cut.hinge = out.frame.toChord(line.axis.at(t));
  out.chord = s.plateLike() ? s.plateChord : out.frame.chord - out.cut.hinge.x();
  return out;
}

std::vector<SurfaceMade> surfacesOf(const PanelBrief& d, const PanelLoft& loft, const Frame& frame) {
  std::vector<SurfaceMade> out;
  for (const HingeLine& line : frame.hinges) {
    const Surface& s = d.surfaces[static_cast<std::size_t>(line.surface)];
    SurfaceMade m;
    m.line = line;
    m.inner = surfaceEndAt(d, loft, line, line.cutFrom), m.outer = surfaceEndAt(d, loft, line, line.cutTo);
    const double run = m.outer.t - m.inner.t;
    m.length = run / std::cos(line.sweep);
    m.area =
        s.whole() ? (m.inner.frame.chord + m.outer.frame.chord) / 2 * run : (m.inner.chord + m.outer.chord) / 2 * run;
    const ChordFrame middle = loft.frameAt((m.inner.t + m.outer.t) / 2);
    m.share = s.whole() ? 1
                        : (m.inner.chord / m.inner.frame.chord + 4 * chordAt(loft, line, s, middle.t) / middle.chord +
                           m.outer.chord / m.outer.frame.chord) /
                              6;
    for (const Rib& rib : frame.ribs)
      if (std::any_of(rib.hinges.begin(), rib.hinges.end(),
                      [&](const HingeCut& cut) { return cut.surface == line.surface; }))
        m.ribs.push_back(rib.number);
    const auto strip = [&](double thickness) {
      return FacingStrip{thickness, m.length, m.inner.cut.depth + 2 * s.proud, m.outer.cut.depth + 2 * s.proud};
    };
    if (s.partsRibs() && s.wingFacing > 0) m.wingFacing = strip(s.wingFacing);
    if (s.ofRibs() && s.facing > 0) m.facing = strip(s.facing);
    if (!s.whole()) placeHinges(m, frame, s);
    weigh(m, d, loft, frame, s);
    blowOn(m, d, loft, s);
    m.driven = drivenOf(m, d, loft, frame, s);
    m.wire = joinWireOf(m, d, s);
    out.push_back(std::move(m));
  }
  return out;
}

namespace {

/// mm aft of the axis, along the flight, that the rear of a surface's facing lies.
double behindFacing(const Surface& s, const SurfaceMade& made) {
  const double front = s.nose == SurfaceNose::round ? -made.inner.cut.noseRadius : s.gap / 2;
  return std::max(front + s.facing, 0.0) / std::cos(made.line.sweep);
}

/// Half of a rib's wood along the span.
double halfOf(const Rib& rib) {
  return rib.thickness / 2;
}

std::vector<const Rib*> partedRibs(const Frame& frame, const SurfaceMade& made) {
  std::vector<const Rib*> out;
  for (const Rib& rib : frame.ribs)
    if (rib.ofWood && made.line.covers(rib.t())) out.push_back(&rib);
  return out;
}

} // namespace

std::vector<Polyline> infillsOf(const PanelBrief& d, const Frame& frame, const SurfaceMade& made) {
  const Surface& s = d.surfaces[static_cast<std::size_t>(made.line.surface)];
  std::vector<Polyline> out;
  if (!s.ofRibs() || s.infill <= 0) return out;
  const double front = behindFacing(s, made);
  double from = made.inner.t + s.endRib;
  const auto fill = [&](double to) {
    const auto at = [&](double t, double aft) -> Point { return {made.line.axis.at(t).x() + front + aft, t}; };
    constexpr double least = 1; // mm: narrower than a saw's cut
    if (to - from > least) out.push_back({at(from, 0), at(to, 0), at(to, s.infill), at(from, s.infill)});
  };
  for (const Rib* rib : partedRibs(frame, made)) {
    fill(rib->t() - halfOf(*rib));
    from = rib->t() + halfOf(*rib);
  }
  fill(made.outer.t - s.endRib);
  return out;
}

std::vector<Polyline> gussetsOf(const PanelBrief& d, const Frame& frame, const SurfaceMade& made) {
  const Surface& s = d.surfaces[static_cast<std::size_t>(made.line.surface)];
  std::vector<Polyline> out;
  if (!s.ofRibs() || s.gusset <= 0) return out;
  const double front = behindFacing(s, made);
  for (const Rib* rib : partedRibs(frame, made))
    for (const double side : {-1.0, 1.0}) {
      const double t = rib->t() + side * halfOf(*rib), far = t + side * s.gusset;
      const auto axis = [&](double at) { return made.line.axis.at(at).x() + front; };
      out.push_back({{axis(t), t}, {axis(t) + s.gusset, t}, {axis(far), far}});
    }
  return out;
}

} // namespace eup
