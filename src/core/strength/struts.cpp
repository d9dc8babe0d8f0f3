#include "core/strength/struts.h"
#include "core/strength/bay_checks.h"
#include <algorithm>
#include <Eigen/Dense>
#include <functional>
#include <numbers>

namespace eup {
namespace {

/// A section's cap helpers know its area and bore.
Cap asCap(const Strut& s) {
  Cap cap;
  cap.shape = s.shape, cap.width = s.width, cap.depth = s.depth, cap.wall = s.wall;
  return cap;
}

/// Twice integrated from a root that is held fast: how far the wing goes up at the places of the struts, per load.
std::vector<double> sags(const std::vector<BentHere>& wing, const std::vector<StrutPlace>& places,
                         const std::function<double(double)>& moment) {
  std::vector<double> out(places.size(), 0.0);
  const auto bend = [&](const BentHere& at) { return at.stiffness > 0 ? moment(at.y) / at.stiffness : 0; };
  double sag = 0, slope = 0;
  for (std::size_t i = 1; i < wing.size(); ++i) {
    const double step = wing[i].y - wing[i - 1].y, before = bend(wing[i - 1]), here = bend(wing[i]);
    for (std::size_t k = 0; k < places.size(); ++k) {
      const double into = places[k].y - wing[i - 1].y;
      const bool last = i + 1 == wing.size();
      if (into < 0 || (into >= step && !last)) continue;
      const double then = before + (here - before) * (step > 0 ? into / step : 0);
      out[k] = sag + slope * into + (2 * before + then) / 6 * into * into;
    }
    sag += slope * step + (2 * before + here) / 6 * step * step;
    slope += (before + here) / 2 * step;
  }
  return out;
}

struct Solved {
  std::vector<double> forces;
  double rootTurn = 0; ///< rad, of a hinged root
};

/// With those struts that are `on`; nothing where they do not hold the wing at all.
std::optional<Solved> solved(const std::vector<HeldStrut>& struts, const std::vector<bool>& on,
                             const std::vector<double>& free, const std::vector<std::vector<double>>& unit,
                             const std::vector<double>& give, bool hinged, double rootMoment) {
  std::vector<std::size_t> which;
  for (std::size_t i = 0; i < struts.size(); ++i)
    if (on[i]) which.push_back(i);
  const auto n = static_cast<Eigen::Index>(which.size()), all = n + (hinged ? 1 : 0);
  Solved out{std::vector<double>(struts.size(), 0.0), 0};
  if (n == 0) return hinged ? std::nullopt : std::optional(out);
  Eigen::MatrixXd a = Eigen::MatrixXd::Zero(all, all);
  Eigen::VectorXd b = Eigen::VectorXd::Zero(all);
  for (Eigen::Index i = 0; i < n; ++i) {
    const std::size_t p = which[static_cast<std::size_t>(i)];
    for (Eigen::Index j = 0; j < n; ++j) {
      const std::size_t q = which[static_cast<std::size_t>(j)];
      a(i, j) = struts[p].drawsDown * unit[q][p] * struts[q].drawsDown;
    }
    a(i, i) += give[p];
    b(i) = struts[p].drawsDown * free[p];
    if (hinged) a(i, n) = a(n, i) = -struts[p].drawsDown * struts[p].place.y;
  }
  if (hinged) b(n) = -rootMoment;
  const Eigen::FullPivLU<Eigen::MatrixXd> lu(a);
  if (!lu.isInvertible()) return std::nullopt;
  const Eigen::VectorXd x = lu.solve(b);
  for (Eigen::Index i = 0; i < n; ++i) out.forces[which[static_cast<std::size_t>(i)]] = x(i);
  if (hinged) out.rootTurn = x(n);
  return out;
}

/// How long and how steep a strut is, and its section.
HeldStrut strutAt(const Strut& strut, const StrutPlace& place) {
  HeldStrut out;
  out.place = place;
  const Point3 way = place.foot - place.top;
  out.length = std::max(way.norm(), 1e-3);
  const Point3 along = way / out.length;
  out.down = std::asin(std::clamp(-along.z(), -1.0, 1.0));
  out.toSpar = std::acos(std::clamp(-along.dot(place.outwards), -1.0, 1.0));
  out.aft = std::atan2(way.x(), std::abs(way.y()));
  out.drawsDown = -along.dot(place.normal);
  out.drawsIn = -along.dot(place.outwards);
  const Cap cap = asCap(strut);
  out.area = std::max(capArea(cap), 1e-6);
  out.thinnest = strut.shape == CapShape::strip ? std::min(strut.width, strut.depth) / std::sqrt(12.0)
                                                : std::hypot(strut.depth, boreOf(cap)) / 4;
  return out;
}

} // namespace

HeldWing heldBy(const std::vector<Strut>& struts, const std::vector<StrutPlace>& places, bool hinged,
                const std::vector<BentHere>& wing, const Tables& tables, std::vector<LoadCase>& cases) {
  HeldWing out;
  if (places.empty()) return out;
  out.hinged = hinged;
  std::vector<double> give; // mm a N
  give.reserve(places.size());
  for (const StrutPlace& p : places) {
    const Strut& strut = struts[static_cast<std::size_t>(p.number)];
    out.struts.push_back(strutAt(strut, p));
    give.push_back(out.struts.back().length / (tables.named(strut.material).modulus * out.struts.back().area));
  }
  std::vector<std::vector<double>> unit; // how far each place goes up for one N up at another
  unit.reserve(places.size());
  for (const StrutPlace& p : places)
    unit.push_back(sags(wing, places, [&](double y) { return std::max(p.y - y, 0.0); }));
  for (LoadCase& c : cases) {
    const double root = c.load.moment(0);
    out.bareRoot = std::abs(root) > std::abs(out.bareRoot) ? root : out.bareRoot;
    const std::vector<double> free = sags(wing, places, [&](double y) { return c.load.moment(y); });
    std::vector<bool> on(places.size(), true);
    std::optional<Solved> found;
    // A wire that is pressed goes slack; then the others carry more. Each round takes out the one that is pressed most.
    for (std::size_t round = 0; round <= places.size(); ++round) {
      found = solved(out.struts, on, free, unit, give, hinged, root);
      if (!found) break;
      std::optional<std::size_t> worst;
      for (std::size_t i = 0; i < places.size(); ++i)
        if (on[i] && struts[static_cast<std::size_t>(places[i].number)].kind == StrutKind::wire &&
            found->forces[i] < 0 && (!worst || found->forces[i] < found->forces[*worst]))
          worst = i;
      if (!worst) break;
      on[*worst] = false;
    }
    if (!found) {
      out.falls.push_back(c.what);
      found = Solved{std::vector<double>(places.size(), 0.0), 0};
    }
    out.rootTurns.emplace_back(c.what, found->rootTurn);
    double pressed = 0;
    for (std::size_t i = 0; i < places.size(); ++i) {
      HeldStrut& s = out.struts[i];
      const double force = found->forces[i];
      s.forces.push_back({c.what, force});
      c.load.held.push_back({places[i].y, -force * s.drawsDown, force * s.drawsIn});
      pressed += std::max(force * s.drawsIn, 0.0);
      const Material& m = tables.named(struts[static_cast<std::size_t>(places[i].number)].material);
      const double euler = eulerStress(m.modulus, s.thinnest, s.length);
      const bool buckles = force < 0 && euler < m.compression;
      const double bears = (force >= 0 ? m.tension : std::min(euler, m.compression)) * s.area;
      const double reserve = force != 0 ? bears / std::abs(force) : 1e9;
      if (reserve < s.reserve) s.reserve = reserve, s.worst = {c.what, force}, s.holds = bears, s.buckles = buckles;
    }
    out.pressed = std::max(out.pressed, pressed);
  }
  double reach = 0, soft = 0; // 1 ÷ stiffness, averaged to the outermost strut
  for (const StrutPlace& p : places) reach = std::max(reach, p.y);
  for (std::size_t i = 1; i < wing.size(); ++i)
    if (wing[i].y <= reach + 1e-9 && wing[i].stiffness > 0) soft += (wing[i].y - wing[i - 1].y) / wing[i].stiffness;
  if (soft > 0 && reach > 0) out.pressedHolds = std::numbers::pi * std::numbers::pi / (soft / reach) / (reach * reach);
  return out;
}

} // namespace eup
