#include "core/strength/struts.h"
#include "core/geometry/solve.h"
#include "core/strength/bay_checks.h"
#include <algorithm>
#include <fmt/format.h>
#include <functional>
#include <numbers>
#include <numeric>
#include <optional>

namespace eup {
namespace {

/// A section's cap helpers know its area and bore.
Cap asCap(const Strut& s) {
  Cap cap;
  cap.shape = s.shape, cap.width = s.width, cap.depth = s.depth, cap.wall = s.wall;
  return cap;
}

/// Where a strut pulls at a wing.
struct Pull {
  std::size_t strut = 0; ///< counted through all wings'
  std::size_t wing = 0;
  double y = 0, down = 0;
};

/// Twice integrated from a root that is held fast: how far that wing goes up at the pulls on it, under a moment.
std::vector<double> sags(const std::vector<BentWing>& wings, std::size_t which, const std::vector<Pull>& pulls,
                         const std::function<double(double)>& moment) {
  const std::vector<BentHere>& wing = wings[which].along;
  std::vector<double> out(pulls.size(), 0.0);
  const auto bend = [&](const BentHere& at) { return at.stiffness > 0 ? moment(at.y) / at.stiffness : 0; };
  double sag = 0, slope = 0;
  for (std::size_t i = 1; i < wing.size(); ++i) {
    const double step = wing[i].y - wing[i - 1].y, before = bend(wing[i - 1]), here = bend(wing[i]);
    for (std::size_t k = 0; k < pulls.size(); ++k) {
      const double into = pulls[k].y - wing[i - 1].y;
      const bool last = i + 1 == wing.size();
      if (pulls[k].wing != which || into < 0 || (into >= step && !last)) continue;
      const double then = before + (here - before) * (step > 0 ? into / step : 0);
      out[k] = sag + slope * into + (2 * before + then) / 6 * into * into;
    }
    sag += slope * step + (2 * before + here) / 6 * step * step;
    slope += (before + here) / 2 * step;
  }
  return out;
}

/// A strut, and how much it gives, mm a N.
struct Member {
  const Strut* decided = nullptr;
  HeldStrut held;
  double give = 0;
};

/// Wings that struts hold together, as one.
struct Group {
  std::vector<std::size_t> struts, wings;
  std::vector<Pull> pulls;
  std::vector<std::vector<double>> unit; ///< how far each pull's place goes up for one N up at another's
};

struct Solved {
  std::vector<double> forces; ///< by the group's struts
  std::vector<double> turns;  ///< rad, of its wings' roots, 0 of one that is held fast
};

/// With those struts that are `on`; `free` is how far each pull's place would go up without them, `roots` the moments
/// at the wings' roots. Nothing where they do not hold all that is hinged.
std::optional<Solved> solved(const Group& g, const std::vector<Member>& members, const std::vector<BentWing>& wings,
                             const std::vector<bool>& on, const std::vector<double>& free,
                             const std::vector<double>& roots) {
  std::vector<Eigen::Index> row(members.size(), -1), pin(wings.size(), -1);
  Eigen::Index rows = 0;
  for (std::size_t i = 0; i < g.struts.size(); ++i)
    if (on[i]) row[g.struts[i]] = rows++;
  for (const std::size_t w : g.wings)
    if (wings[w].hinged) pin[w] = rows++;
  Eigen::MatrixXd a = Eigen::MatrixXd::Zero(rows, rows);
  Eigen::VectorXd b = Eigen::VectorXd::Zero(rows);
  for (const std::size_t s : g.struts)
    if (row[s] >= 0) a(row[s], row[s]) = members[s].give;
  for (std::size_t i = 0; i < g.pulls.size(); ++i) {
    const Pull& p = g.pulls[i];
    const Eigen::Index at = row[p.strut], turns = pin[p.wing];
    if (at < 0) continue;
    b(at) += p.down * free[i];
    for (std::size_t k = 0; k < g.pulls.size(); ++k)
      if (const Eigen::Index other = row[g.pulls[k].strut]; other >= 0)
        a(at, other) += p.down * g.unit[k][i] * g.pulls[k].down;
    if (turns >= 0) a(at, turns) -= p.down * p.y, a(turns, at) -= p.down * p.y;
  }
  for (std::size_t i = 0; i < g.wings.size(); ++i)
    if (pin[g.wings[i]] >= 0) b(pin[g.wings[i]]) = -roots[i];
  Solved out{std::vector<double>(g.struts.size(), 0.0), std::vector<double>(g.wings.size(), 0.0)};
  if (rows == 0) return out;
  const std::optional<Eigen::VectorXd> found = regularSolution(a, b);
  if (!found) return std::nullopt;
  const Eigen::VectorXd& x = *found;
  for (std::size_t i = 0; i < g.struts.size(); ++i)
    if (row[g.struts[i]] >= 0) out.forces[i] = x(row[g.struts[i]]);
  for (std::size_t i = 0; i < g.wings.size(); ++i)
    if (pin[g.wings[i]] >= 0) out.turns[i] = x(pin[g.wings[i]]);
  return out;
}

/// A wire that is pressed goes slack; then the others carry more. Each round takes out the one that is pressed most.
std::optional<Solved> withSlackWires(const Group& g, const std::vector<Member>& members,
                                     const std::vector<BentWing>& wings, const std::vector<double>& free,
                                     const std::vector<double>& roots) {
  std::vector<bool> on(g.struts.size(), true);
  for (;;) {
    const std::optional<Solved> found = solved(g, members, wings, on, free, roots);
    if (!found) return found;
    std::optional<std::size_t> worst;
    for (std::size_t i = 0; i < g.struts.size(); ++i)
      if (on[i] && members[g.struts[i]].decided->kind == StrutKind::wire && found->forces[i] < 0 &&
          (!worst || found->forces[i] < found->forces[*worst]))
        worst = i;
    if (!worst) return found;
    on[*worst] = false;
  }
}

/// How long and how steep a strut is, and its section.
HeldStrut strutAt(const Strut& strut, const StrutPlace& place) {
  HeldStrut out;
  out.place = place;
  const Point3 way = place.foot - place.top;
  out.length = std::max(way.norm(), 1e-3);
  const Point3 along = way / out.length;
  out.down = std::asin(std::clamp(-along.z(), -1.0, 1.0));
  out.aft = std::atan2(way.x(), std::abs(place.lower ? way.z() : way.y()));
  const auto end = [&](const StrutEnd& at, const Point3& pull, double& angle) {
    angle = std::acos(std::clamp(-pull.dot(at.outwards), -1.0, 1.0));
    out.ends.push_back({at, -pull.dot(at.normal), -pull.dot(at.outwards)});
  };
  end(place.upper, along, out.toSpar);
  if (place.lower) end(*place.lower, -along, out.toFootSpar);
  const Cap cap = asCap(strut);
  out.area = std::max(capArea(cap), 1e-6);
  out.thinnest = strut.shape == CapShape::strip ? std::min(strut.width, strut.depth) / std::sqrt(12.0)
                                                : std::hypot(strut.depth, boreOf(cap)) / 4;
  return out;
}

/// Which wings hang together, each with its struts.
std::vector<Group> groupsOf(const std::vector<Member>& members, const std::vector<BentWing>& wings) {
  std::vector<std::size_t> of(wings.size());
  std::iota(of.begin(), of.end(), std::size_t{0});
  for (const Member& m : members)
    for (const HeldStrut::End& e : m.held.ends) {
      const std::size_t one = of[static_cast<std::size_t>(m.held.ends.front().at.wing)],
                        other = of[static_cast<std::size_t>(e.at.wing)];
      for (std::size_t& w : of)
        if (w == other) w = one;
    }
  std::vector<Group> out;
  for (std::size_t name = 0; name < wings.size(); ++name) {
    Group g;
    for (std::size_t w = 0; w < wings.size(); ++w)
      if (of[w] == name) g.wings.push_back(w);
    for (std::size_t s = 0; s < members.size(); ++s) {
      if (of[static_cast<std::size_t>(members[s].held.ends.front().at.wing)] != name) continue;
      g.struts.push_back(s);
      for (const HeldStrut::End& e : members[s].held.ends)
        g.pulls.push_back({s, static_cast<std::size_t>(e.at.wing), e.at.y, e.drawsDown});
    }
    for (const Pull& p : g.pulls)
      g.unit.push_back(sags(wings, p.wing, g.pulls, [&](double y) { return std::max(p.y - y, 0.0); }));
    if (!g.wings.empty()) out.push_back(std::move(g));
  }
  return out;
}

LoadCase* caseOf(const BentWing& wing, LoadCase::What what) {
  for (LoadCase& c : *wing.cases)
    if (c.what == what) return &c;
  return nullptr;
}

/// What a strut carries under one load, where that leaves less in reserve than any before.
void weigh(Member& m, LoadCase::What what, double force, const Tables& tables) {
  HeldStrut& s = m.held;
  s.forces.push_back({what, force});
  const Material& wood = tables.named(m.decided->material);
  const double euler = eulerStress(wood.modulus, s.thinnest, s.length);
  const bool buckles = force < 0 && euler < wood.compression;
  const double bears = (force >= 0 ? wood.tension : std::min(euler, wood.compression)) * s.area;
  const double reserve = force != 0 ? bears / std::abs(force) : 1e9;
  if (reserve < s.reserve) s.reserve = reserve, s.worst = {what, force}, s.holds = bears, s.buckles = buckles;
}

/// One load on wings that hang together.
void hold(const Group& g, LoadCase::What what, std::vector<Member>& members, const std::vector<BentWing>& wings,
          const Tables& tables, std::vector<HeldWing>& out) {
  std::vector<double> free(g.pulls.size(), 0.0), roots;
  for (const std::size_t w : g.wings) {
    const LoadCase* c = caseOf(wings[w], what);
    roots.push_back(c ? c->load.moment(0) : 0);
    if (std::abs(roots.back()) > std::abs(out[w].bareRoot)) out[w].bareRoot = roots.back();
    if (!c) continue;
    const std::vector<double> its = sags(wings, w, g.pulls, [&](double y) { return c->load.moment(y); });
    for (std::size_t i = 0; i < its.size(); ++i) free[i] += its[i];
  }
  std::optional<Solved> found = withSlackWires(g, members, wings, free, roots);
  if (!found) found = Solved{std::vector<double>(g.struts.size(), 0.0), {}};
  for (std::size_t i = 0; i < g.wings.size(); ++i) {
    HeldWing& held = out[g.wings[i]];
    if (found->turns.empty() && held.hinged) held.falls.push_back(what);
    held.rootTurns.emplace_back(what, found->turns.empty() ? 0 : found->turns[i]);
  }
  std::vector<double> pressed(wings.size(), 0.0);
  for (std::size_t i = 0; i < g.struts.size(); ++i) {
    Member& m = members[g.struts[i]];
    const double force = found->forces[i];
    weigh(m, what, force, tables);
    for (const HeldStrut::End& e : m.held.ends) {
      const auto w = static_cast<std::size_t>(e.at.wing);
      if (LoadCase* c = caseOf(wings[w], what))
        c->load.held.push_back({e.at.y, -force * e.drawsDown, force * e.drawsIn});
      pressed[w] += std::max(force * e.drawsIn, 0.0);
    }
  }
  for (const std::size_t w : g.wings) out[w].pressed = std::max(out[w].pressed, pressed[w]);
}

/// Euler's load of a wing's bending stiffness, averaged as 1 ÷ stiffness to there, hinged at both ends.
double eulerTo(double reach, const std::vector<BentHere>& wing) {
  double soft = 0;
  for (std::size_t i = 1; i < wing.size(); ++i)
    if (wing[i].y <= reach + 1e-9 && wing[i].stiffness > 0) soft += (wing[i].y - wing[i - 1].y) / wing[i].stiffness;
  return soft > 0 && reach > 0 ? std::numbers::pi * std::numbers::pi / (soft / reach) / (reach * reach) : 0;
}

} // namespace

std::vector<HeldWing> heldBy(const std::vector<std::vector<Strut>>& struts,
                             const std::vector<std::vector<StrutPlace>>& places, const std::vector<BentWing>& wings,
                             const Tables& tables) {
  std::vector<HeldWing> out(wings.size());
  std::vector<Member> members;
  std::vector<double> reach(wings.size(), 0.0);
  for (std::size_t w = 0; w < wings.size(); ++w) {
    out[w].hinged = wings[w].hinged;
    for (const StrutPlace& p : places[w]) {
      Member m{&struts[w][static_cast<std::size_t>(p.number)], {}, 0};
      m.held = strutAt(*m.decided, p);
      m.give = m.held.length / (tables.named(m.decided->material).modulus * m.held.area);
      for (const HeldStrut::End& e : m.held.ends) {
        HeldWing& held = out[static_cast<std::size_t>(e.at.wing)];
        if (!held.held) held.by = fmt::format("wings.{}.struts.{}.", w, p.number);
        held.held = true;
        reach[static_cast<std::size_t>(e.at.wing)] = std::max(reach[static_cast<std::size_t>(e.at.wing)], e.at.y);
      }
      members.push_back(std::move(m));
    }
  }
  for (const Group& g : groupsOf(members, wings)) {
    if (std::none_of(g.wings.begin(), g.wings.end(), [&](std::size_t w) { return out[w].held || out[w].hinged; }))
      continue;
    std::vector<LoadCase::What> whats; // of any of its wings
    for (const std::size_t w : g.wings)
      for (const LoadCase& c : *wings[w].cases)
        if (std::find(whats.begin(), whats.end(), c.what) == whats.end()) whats.push_back(c.what);
    for (const LoadCase::What what : whats) hold(g, what, members, wings, tables, out);
  }
  for (std::size_t w = 0; w < wings.size(); ++w) out[w].pressedHolds = eulerTo(reach[w], wings[w].along);
  for (Member& m : members) out[static_cast<std::size_t>(m.held.place.upper.wing)].struts.push_back(std::move(m.held));
  return out;
}

} // namespace eup
