#include "core/strength/joint_strength.h"
#include <algorithm>
#include <cmath>
#include <numbers>

namespace eup {
namespace {

double weaker(const Material& m) {
  return std::min(m.tension, m.compression);
}

double reserveOf(double strength, double stress) {
  return stress > 0 ? strength / stress : 1e9;
}

/// The shortest leg whose glue keeps the reserve; it may be longer than the leg is.
double legFor(double reserve, double strength, double moment, double shear, double height) {
  double low = 1, high = 5000;
  for (int i = 0; i < 60; ++i) {
    const double mid = (low + high) / 2;
    (reserveOf(strength, glueShear(moment, shear, mid, height)) >= reserve ? high : low) = mid;
  }
  return high;
}

} // namespace

double plateStress(double moment, double thickness, double depth, int count) {
  return 6 * moment / (count * thickness * depth * depth);
}

double glueShear(double moment, double shear, double length, double height) {
  const double area = length * height, across = length * length + height * height;
  return moment * std::sqrt(across) / 2 / (area * across / 12) + shear / area;
}

double tubeStress(double moment, double diameter, double bore) {
  return moment * 32 * diameter / (std::numbers::pi * (std::pow(diameter, 4) - std::pow(bore, 4)));
}

SocketPress socketLoad(const Socket& socket, double moment, double shear) {
  const double l = socket.reach, couple = 6 * moment / (l * l);
  if (socket.beyond) return {couple + 4 * shear / l, true};
  const double end = std::abs(couple - 2 * shear / l), mouth = std::abs(couple - 4 * shear / l);
  return {std::max(end, mouth), mouth > end};
}

double mouthForce(const Socket& socket, double moment, double shear) {
  return std::abs(moment / socket.reach + (socket.beyond ? shear : -shear));
}

double plateStiffness(const Bracing& brace, double depth, const Tables& tables) {
  return brace.plates() * tables.named(brace.material).modulus * brace.thickness * std::pow(std::max(depth, 0.0), 3) /
         12;
}

JoinStrength joinStrength(const PanelBrief& d, const SpanLoad& load, const std::vector<BracePlates>& braces,
                          const std::vector<Socket>& sockets) {
  JoinStrength out;
  out.moment = std::abs(load.moment(d.inboard));
  out.shear = std::abs(load.shear(d.inboard));
  double stiff = 0;
  for (const BracePlates& b : braces) stiff += plateStiffness(b.decided, b.depth, d.tables);
  for (const BracePlates& b : braces) {
    BraceStrength& s = out.braces.emplace_back();
    if (b.depth <= 0 || b.leg <= 0 || b.height <= 0) continue;
    s.share = plateStiffness(b.decided, b.depth, d.tables) / stiff;
    const double each = s.share / b.decided.plates();
    s.stress = plateStress(s.share * out.moment, b.decided.thickness, b.depth, b.decided.plates());
    s.reserve = reserveOf(weaker(d.tables.named(b.decided.material)), s.stress);
    s.glueStress = glueShear(each * out.moment, each * out.shear, b.leg, b.height);
    // The wood beside a good glue line fails first: balsa of the rib or the web.
    s.glueStrength = std::min(d.tables.named("balsa-160").shearStrength, d.tables.glue(d.glue).shearStrength);
    s.glueReserve = reserveOf(s.glueStrength, s.glueStress);
    s.gluedLeg = legFor(2, s.glueStrength, each * out.moment, each * out.shear, b.height);
  }
  const Joiner& j = d.join.joiner;
  if (j.fitted && !sockets.empty() && j.bore < j.diameter) {
    out.rodStress = tubeStress(out.moment, j.diameter, j.bore);
    out.rodReserve = reserveOf(weaker(d.tables.named(j.material)), out.rodStress);
    const double ply = d.tables.named("birch-ply").compressionAcross;
    for (const Socket& s : sockets) {
      const SocketPress press = socketLoad(s, out.moment, out.shear);
      if (press.load / j.diameter >= out.bearing)
        out.bearing = press.load / j.diameter, out.pressed = s, out.pressedMouth = press.mouth;
      for (const bool mouth : {true, false}) {
        const double across = d.tables.named(s.materialAt(mouth)).compressionAcross;
        const double force = mouth ? mouthForce(s, out.moment, out.shear) : out.moment / s.reach,
                     thickness = mouth ? s.mouthRib : s.endRib,
                     holds = j.sleeve * (thickness * across + j.facing * ply), reserve = reserveOf(holds, force);
        if (out.crushHolds > 0 && reserve >= out.crushReserve) continue;
        out.crushForce = force, out.crushHolds = holds, out.crushReserve = reserve;
        out.crushArea = j.sleeve * (thickness + j.facing);
        out.crushed = s, out.crushedMouth = mouth;
      }
    }
    out.socketReserve = reserveOf(d.tables.named(j.material).compressionAcross, out.bearing);
  }
  return out;
}

} // namespace eup
