#include "core/trials/trial_assembly.h"
#include "core/geometry/polyline.h"
#include "core/joins/end_cut.h"
#include "core/joins/sawn_ends.h"
#include "core/report/report_parts.h"
#include "core/wing/run_over.h"
#include <algorithm>
#include <cmath>
#include <Eigen/Geometry>
#include <fmt/format.h>
#include <functional>

namespace eup {
namespace {

/// The flat part as it is cut: the heights of its wood on an upright line.
std::optional<std::pair<double, double>> woodAt(const Region& wood, double x) {
  double low = 1e300, high = -1e300;
  for (const Polyline& loop : wood)
    for (std::size_t i = 0; i < loop.size(); ++i) {
      const Point &a = loop[i], &b = loop[(i + 1) % loop.size()];
      if ((a.x() > x) == (b.x() > x)) continue;
      const double y = a.y() + (b.y() - a.y()) * (x - a.x()) / (b.x() - a.x());
      low = std::min(low, y), high = std::max(high, y);
    }
  return low < high ? std::optional(std::pair(low, high)) : std::nullopt;
}

/// A rib's plane in its panel's axes.
struct Plane {
  explicit Plane(const Rib& rib)
      : origin(rib.inPanel({0, 0})), along(rib.inPanel({1, 0}) - origin), up(rib.inPanel({0, 1}) - origin) {}
  Point3 origin, along, up;
  Point3 at(const Point& flat) const { return origin + along * flat.x() + up * flat.y(); }
  /// Where a straight strip goes through it.
  Point meets(const Point3& a, const Point3& b) const {
    const Point3 normal = along.cross(up), way = b - a;
    const Point3 there = a + way * (normal.dot(origin - a) / normal.dot(way)) - origin;
    return {there.dot(along), there.dot(up)};
  }
};

/// A panel on the board, as its packing says.
class OnBoard {
public:
  explicit OnBoard(const TruePanel& panel) : p(panel), turn{-panel.settingUp.turn, {0, 0}} {}

  double height(const Point3& inPanel) const { return turn(Point(inPanel.x(), inPanel.z())).y() - p.settingUp.board; }
  /// The panel's z at a place of the plan that lies so high over the board.
  double zAt(double x, double high) const {
    const double s = std::sin(p.settingUp.turn), c = std::cos(p.settingUp.turn);
    return (high + p.settingUp.board + x * s) / c;
  }

private:
  const TruePanel& p;
  Placement turn;
};

/// The straight strip that seats ribs, from the first rib that it passes to the last: the face that notches rest on.
struct Strip {
  int spar = 0;
  enum class By { lowerCap, upperCap, sheet } by = By::lowerCap;
  Point3 from{0, 0, 0}, to{0, 1, 0};
};

/// How deep what lies there is, from the spar's outer face to the face that a notch rests on.
double seatDepth(const Spar& spar, Strip::By by, double share) {
  return capAt(by == Strip::By::lowerCap ? spar.bottom : spar.top, share).depth;
}

std::optional<Strip> stripOf(const TruePanel& p, const OnBoard& board) {
  for (const SparLine& line : p.frame.spars) {
    const Spar& spar = p.design.spars[static_cast<std::size_t>(line.index)];
    Strip strip;
    strip.spar = line.index;
    if (spar.kind == SparKind::fullDepth)
      strip.by = Strip::By::sheet;
    else if (spar.bottom.fitted && !spar.bottom.drops)
      strip.by = Strip::By::lowerCap;
    else if (spar.top.fitted && !spar.top.drops)
      strip.by = Strip::By::upperCap;
    else
      continue;
    const auto place = [&](const Rib& rib, const RibSupports& supports) -> std::optional<Point3> {
      const Support& s = supports.at[static_cast<std::size_t>(line.index) + 1];
      if (!s.there || rib.turn != 0 || rib.lean != 0) return std::nullopt;
      const double t = rib.t();
      if (strip.by == Strip::By::sheet) return Point3(line.middle.at(t).x(), t, line.middle.at(t).y());
      if (strip.by == Strip::By::upperCap) { // nothing is packed under it: where it was drawn
        const Point seat = line.upperSeat.at(t);
        return Point3(seat.x(), t, seat.y() - seatDepth(spar, strip.by, line.share(t)));
      }
      // The packing stands under the line on the plan; the cap's own place on the underside lies straight over it, the
      // chord line being turned, a hair fore or aft of that.
      const Cut cut = p.shape.loft.cutAt(t);
      const double planX = line.planRoot + (line.planTip - line.planRoot) * t / line.middle.span,
                   x = line.lowerSeat.at(t).x();
      const double under =
          board.zAt(planX, s.height) + surfaceHeightAt(cut, Face::lower, x) - surfaceHeightAt(cut, Face::lower, planX);
      return Point3(x, t,
                    under + coverDrop(p.design, p.shape.loft, cut, Face::lower, {x, under}, overSpars(p.design)) +
                        seatDepth(spar, strip.by, line.share(t)));
    };
    std::vector<Point3> ends;
    for (std::size_t i = 0; i < p.frame.ribs.size(); ++i)
      if (const auto at = place(p.frame.ribs[i], p.settingUp.ribs[i])) ends.push_back(*at);
    // A cap that thins out along the span is straight on its outer face, not on the inner one: its depth is taken at
    // each rib.
    if (ends.size() < 2) continue;
    strip.from = ends.front(), strip.to = ends.back();
    if (strip.by != Strip::By::sheet) {
      const double sign = strip.by == Strip::By::lowerCap ? 1 : -1;
      strip.from.z() -= sign * seatDepth(spar, strip.by, line.share(strip.from.y()));
      strip.to.z() -= sign * seatDepth(spar, strip.by, line.share(strip.to.y()));
    }
    return strip;
  }
  return std::nullopt;
}

/// The flat part's own place that rests on the strip.
std::optional<Point> notchOf(const TruePanel& p, const Rib& rib, const Strip& strip) {
  for (const Notch& n : rib.notches) {
    if (n.spar != strip.spar || (n.face == Face::lower) != (strip.by == Strip::By::lowerCap)) continue;
    const bool inTwo = p.design.spars[static_cast<std::size_t>(n.spar)].webs == Webs::continuous;
    if (inTwo || overSpars(p.design) > 0) return n.bottom; // or threaded through a closed opening
    const auto wood = woodAt(rib.wood, n.bottom.x());
    if (!wood) return std::nullopt;
    return Point(n.bottom.x(), n.face == Face::lower ? wood->first : wood->second);
  }
  for (const Slot& s : rib.slots)
    if (s.spar == strip.spar && strip.by == Strip::By::sheet) return s.bottom;
  return std::nullopt;
}

/// The place on a rib's underside that stands straight over a support: as the plan shows it, on the chord line.
Point underOver(const Rib& rib, double chordX) {
  const double want = rib.frame.fromChord({chordX, 0}).x();
  double x = chordX;
  Point at(x, 0);
  for (int i = 0; i < 6; ++i) {
    const auto place = lastCrossing(rib.lower, std::clamp(x, rib.lower.front().x(), rib.lower.back().x()));
    at = place ? pointAt(rib.lower, *place) : rib.lower.back();
    x += want - rib.frame.fromChord(at).x();
  }
  return at;
}

/// Where a foot meets the board: the middle of its lowest edge, as it is cut.
Point soleOf(const Foot& foot, const OnBoard& board, const Plane& plane) {
  double lowest = 1e300;
  for (const Point& q : foot.outline) lowest = std::min(lowest, board.height(plane.at(q)));
  Point sum(0, 0);
  int count = 0;
  constexpr double level = 0.01; // mm
  for (const Point& q : foot.outline)
    if (board.height(plane.at(q)) < lowest + level) sum += q, ++count;
  return sum / count;
}

double faultOf(const std::vector<AssemblyFault>& faults, AssemblyFault::What what, const TruePanel& p, int rib) {
  double by = 0;
  for (const AssemblyFault& f : faults)
    if (f.what == what && f.panel == p.design.id.panel && f.rib == rib) by += f.by;
  return by;
}

/// What is empty of a flat part on a level line, from side to side round a place of it.
std::optional<std::pair<double, double>> gapAt(const Region& wood, const Point& in) {
  double before = -1e300, after = 1e300;
  for (const Polyline& loop : wood)
    for (std::size_t i = 0; i < loop.size(); ++i) {
      const Point &a = loop[i], &b = loop[(i + 1) % loop.size()];
      if ((a.y() > in.y()) == (b.y() > in.y())) continue;
      const double x = a.x() + (b.x() - a.x()) * (in.y() - a.y()) / (b.y() - a.y());
      (x < in.x() ? before : after) = x < in.x() ? std::max(before, x) : std::min(after, x);
    }
  return before > -1e300 && after < 1e300 ? std::optional(std::pair(before, after)) : std::nullopt;
}

/// What crosses a rib, on the plan: a way, and how far its faces lie to the right of it.
struct Slab {
  Point on{0, 0}, way{0, 1};
  double from = 0, to = 0;
};

Slab slabOf(const Spar& spar, const SparLine& line) {
  const Point root(line.middle.root.x(), 0);
  return {root, Point(line.middle.tip.x() - root.x(), line.middle.span).normalized(), -spar.sheet / 2, spar.sheet / 2};
}

Slab slabOf(const Rib& rib) {
  const auto [in, out] = rib.body(); // outwards is to the left of it
  return {{rib.frame.le.x(), rib.frame.t}, {std::cos(rib.turn), std::sin(rib.turn)}, -out, -in};
}

/// What slides into a rib's slot lies between the slot's sides all through the rib's thickness, at any angle: the least
/// room that it has on either side. From the flat rib as it is cut and the other piece as it lies on the plan.
std::optional<double> roomIn(const Rib& rib, const Point& inSlot, double bevel, const Slab& slab) {
  const auto gap = gapAt(rib.wood, inSlot);
  if (!gap) return std::nullopt;
  // On the plan, in the rib's own axes: along it, and across it from its plane outwards.
  const Point nose(rib.frame.le.x(), rib.frame.t), along(std::cos(rib.turn), std::sin(rib.turn)),
      across(-along.y(), along.x()), right(slab.way.y(), -slab.way.x());
  const auto onPlan = [&](double x) -> Point { return rib.inPanel({x, inSlot.y()}).head<2>() - nose; };
  const double aside = onPlan(gap->first).dot(across); // of a rib that leans
  const auto [in, out] = rib.body();
  double front = 1e300, rear = 1e300;
  for (const double depth : {in, out})
    for (const double side : {slab.from, slab.to}) {
      const Point face = slab.on + right * side - nose;
      const double at = (face + slab.way * ((aside + depth - face.dot(across)) / slab.way.dot(across))).dot(along),
                   moved = std::tan(bevel) * (depth - (in + out) / 2); // a filed side goes with it
      front = std::min(front, at - moved - onPlan(gap->first).dot(along));
      rear = std::min(rear, onPlan(gap->second).dot(along) - at + moved);
    }
  return std::min(front, rear);
}

/// The least of a rib's slots for sheet spars and of its half-laps.
std::optional<double> roomIn(const TruePanel& p, const Rib& rib) {
  std::optional<double> out;
  const auto take = [&](const std::optional<double>& room) {
    if (room) out = std::min(out.value_or(*room), *room);
  };
  constexpr double inside = 1; // mm over a slot's bottom
  for (const Slot& slot : rib.slots) {
    const Spar& spar = p.design.spars[static_cast<std::size_t>(slot.spar)];
    const double up = (spar.ribSlot == SlotFrom::above ? 1 : -1) * std::min(inside, slot.depth / 4);
    take(roomIn(rib, slot.bottom + Point(0, up), slot.bevel,
                slabOf(spar, p.frame.spars[static_cast<std::size_t>(slot.spar)])));
  }
  for (const Lap& lap : rib.laps) {
    const Point end(lap.x, lap.middle);
    const std::vector<Rib>& others = rib.kind == RibKind::crossing ? p.frame.ribs : p.frame.riblets;
    const Rib& other = others.at(static_cast<std::size_t>(lap.with - p.design.firstRib)); // one in every bay
    take(roomIn(rib, end + Point(0, (lap.fromAbove ? 1 : -1) * std::min(inside, rib.depth / 8)), lap.bevel,
                slabOf(other)));
  }
  return out;
}

AssembledRib seated(const TruePanel& p, std::size_t i, const OnBoard& board, const std::optional<Strip>& strip,
                    const std::vector<AssemblyFault>& faults) {
  const Rib& rib = p.frame.ribs[i];
  const RibSupports& supports = p.settingUp.ribs[i];
  const Plane plane(rib);
  AssembledRib out{rib.number, 0, 0, 0};
  out.room = roomIn(p, rib);
  const bool onFeet = supports.feet.size() > 1;
  const auto notch = strip && !onFeet ? notchOf(p, rib, *strip) : std::nullopt;
  const Support &nose = supports.at.front(), &tail = supports.at.back();
  Point flat(0, 0), target(0, 0); // the part's place, and where it comes to lie
  if (notch) {
    flat = *notch;
    target = plane.meets(strip->from, strip->to);
    const SparLine& line = p.frame.spars[static_cast<std::size_t>(strip->spar)];
    if (strip->by != Strip::By::sheet) {
      const double sign = strip->by == Strip::By::lowerCap ? 1 : -1,
                   depth = seatDepth(p.design.spars[static_cast<std::size_t>(strip->spar)], strip->by,
                                     line.share(plane.at(target).y()));
      // Upright in the panel's axes, wherever the rib's own chord points; a leaning rib is cut taller.
      const double turn = rib.frame.washout, taller = sign * depth / std::cos(rib.lean);
      target += Point(std::sin(turn), std::cos(turn)) * taller;
      const double deeper = sign * faultOf(faults, AssemblyFault::What::notch, p, rib.number);
      flat += Point(std::sin(turn), std::cos(turn)) * deeper;
    } else { // a slot that is too deep lets the rib up or down to the sheet's own slot
      const bool above = p.design.spars[static_cast<std::size_t>(strip->spar)].ribSlot == SlotFrom::above;
      flat.y() += (above ? -1 : 1) * faultOf(faults, AssemblyFault::What::notch, p, rib.number);
    }
  } else if (onFeet || nose.there) {
    flat = onFeet ? soleOf(supports.feet.front(), board, plane) : underOver(rib, nose.x);
    const Point3 there = plane.at(flat);
    const double high = onFeet ? 0 : nose.height;
    target = flat + Point(0, (board.zAt(there.x(), high) - there.z()) / std::max(plane.up.z(), 0.1));
  } else {
    return out;
  }
  if (!onFeet && !tail.there) return out;
  const bool squareStrip =
      p.design.trailingEdge.kind == TrailingEdgeKind::square; // it is what is packed, not the section
  const Point rests = onFeet        ? soleOf(supports.feet.back(), board, plane)
                      : squareStrip ? squareTail(p.design, rib)[1]
                                    : underOver(rib, tail.x);
  const double want = (onFeet ? 0 : tail.height) + faultOf(faults, AssemblyFault::What::packing, p, rib.number);
  const auto placed = [&](const Point& q, double turn) -> Point { return target + Placement{turn, {0, 0}}(q - flat); };
  double turn = 0;
  for (int step = 0; step < 8; ++step) {
    constexpr double small = 1e-5;
    const auto high = [&](double by) { return board.height(plane.at(placed(rests, by))) - want; };
    const double slope = (high(turn + small) - high(turn - small)) / (2 * small);
    if (std::abs(slope) < 1e-6) break;
    turn -= high(turn) / slope;
  }
  out.turned = turn;
  out.up = (target - flat).y();
  const Polyline& bare = rib.bare; // the panel's surface in the rib's plane
  const auto away = [&](const Point& q) {
    double best = 1e300;
    for (std::size_t k = 0; k < bare.size(); ++k) {
      const Point a = bare[k], way = bare[(k + 1) % bare.size()] - a;
      const double share = way.squaredNorm() > 0 ? std::clamp((q - a).dot(way) / way.squaredNorm(), 0.0, 1.0) : 0;
      best = std::min(best, (q - a - way * share).norm());
    }
    return best;
  };
  for (std::size_t k = 0; k < bare.size(); k += 4) out.off = std::max(out.off, away(placed(bare[k], turn)));
  return out;
}

/// The strips of a panel as they reach from plane to plane: along their upper and lower edges, by where those meet the
/// planes that the saw follows.
std::vector<AssembledStrip> stripsBetween(const TruePanel& p) {
  std::vector<AssembledStrip> out;
  const double span = p.shape.loft.span();
  for (const Part& part : p.parts) {
    const bool edge = part.what() == Part::What::leadingEdge || part.what() == Part::What::trailingEdge;
    if ((!edge && part.what() != Part::What::spars) || part.stock.form != Stock::Form::strip) continue;
    if (runsOverRoot(part) || part.goesOn) continue;                 // its ends are no sawn ones
    constexpr double hair = 0.01;                                    // mm
    if (part.from.y() > hair || part.to.y() < span - hair) continue; // it ends in the panel
    const Point3 way = (part.to - part.from).normalized();
    double first = 1e300, last = -1e300;
    for (const double side : {-0.5, 0.5}) {
      const Point3 off(0, 0, side * part.stock.thickness);
      const auto meets = [&](bool root) {
        const ChordFrame frame = p.shape.loft.frameAt(root ? 0 : span);
        const Point3 normal = joinPlane(root ? p.design.lean : p.design.leanBeyond, root),
                     on(frame.le.x(), root ? 0 : span, frame.le.y());
        // The plane holds the chord line, which is turned where there is washout.
        const Point3 chord(std::cos(frame.washout), 0, std::sin(frame.washout)); // nose down, the tail is up
        const Point3 square = chord.cross(Point3::UnitX().cross(normal).normalized()).normalized();
        const Point3 from = part.from + off;
        return ((on - from).dot(square) / way.dot(square));
      };
      first = std::min(first, meets(true)), last = std::max(last, meets(false));
    }
    out.push_back({part.name, last - first - part.length});
  }
  return out;
}

/// How far something is opened, from nothing up, until a function that rises with it is nothing.
double openedUntil(const std::function<double(double)>& rising) {
  double low = 0, high = 1.2; // rad: beyond what a wing is folded by
  for (int i = 0; i < 60; ++i) {
    const double middle = (low + high) / 2;
    (rising(middle) > 0 ? high : low) = middle;
  }
  return (low + high) / 2;
}

/// The panel's angle to the horizontal that its brace, or its sawn ends, make with what it is joined to.
double joinedAt(const TruePanel& p, const TruePanel* inside, double gammaInside,
                const std::vector<AssemblyFault>& faults) {
  const double gamma = p.join.gamma;
  if (!p.design.mirrored && p.join.centre) return gamma;
  const double way = p.join.fold < 0 ? -1 : 1;
  double more = 0;
  for (const AssemblyFault& f : faults)
    if (f.what == AssemblyFault::What::brace && f.panel == p.design.id.panel) more += f.by;
  for (const Brace& b : p.join.braces) {
    if (b.folded) continue;
    // A bend says how far the two are folded, not which way: that is as it was decided.
    const double sweep = p.frame.spars[static_cast<std::size_t>(b.spar)].sweep, bend = b.bend + more;
    if (!inside) return way * openedUntil([&](double g) { return braceBendMirrored({sweep, g}) - bend; });
    const double there = inside->frame.spars[static_cast<std::size_t>(b.spar)].sweep;
    return gammaInside + way * openedUntil([&](double fold) {
                           return braceBend({there, gammaInside}, {sweep, gammaInside + way * fold}) - bend;
                         });
  }
  // No brace: the ends that meet are sawn, this one by so much; the other by as much, or not at all.
  const double ends = inside && p.design.join.angleTaken == AngleTaken::halves ? 2 : 1;
  for (const SawnStrip& s : sawnEnds(p.design, p.shape.loft, p.frame.spars, true, p.join.lean)) {
    if (s.sheet) continue;
    const auto bevel = [&](double lean) { return endCut(s.along, Point3::UnitZ(), joinPlane(lean, true)).bevel; };
    const double lean = way * openedUntil([&](double f) { return way * (bevel(way * f) - s.cut.bevel); });
    return gammaInside + ends * lean;
  }
  return gamma;
}

} // namespace

Assembly assembled(const WholeWing& wing, const std::vector<AssemblyFault>& faults) {
  Assembly out;
  Point3 origin(0, 0, 0);
  double gammaInside = 0;
  for (std::size_t k = 0; k < wing.panels.size(); ++k) {
    const TruePanel& p = wing.panels[k];
    AssembledPanel panel;
    const OnBoard board(p);
    const auto strip = stripOf(p, board);
    for (std::size_t i = 0; i < p.frame.ribs.size() && p.design.built == Built::ribs;
         ++i) { // sheet has no ribs to be slid on
      panel.ribs.push_back(seated(p, i, board, strip, faults));
      panel.off = std::max(panel.off, panel.ribs.back().off);
      panel.turned = std::max(panel.turned, std::abs(panel.ribs.back().turned));
      if (const auto& room = panel.ribs.back().room) out.room = std::min(out.room.value_or(*room), *room);
    }
    for (const Rib& crossing : p.frame.riblets)
      if (const auto room = roomIn(p, crossing)) out.room = std::min(out.room.value_or(*room), *room);
    panel.strips = stripsBetween(p);
    for (const AssembledStrip& s : panel.strips) out.strip = std::max(out.strip, std::abs(s.shortBy));
    panel.gamma = joinedAt(p, k > 0 ? &wing.panels[k - 1] : nullptr, gammaInside, faults);
    const PanelFrame frame{origin, panel.gamma};
    const double span = p.shape.loft.span();
    const Point nose = p.shape.loft.frameAt(span).le;
    panel.tip = frame.at(nose, span);
    panel.tipOff = (panel.tip - wing.inSpace[k].at(nose, span)).norm();
    origin = frame.at(p.design.panel.tipSetback, span, 0);
    gammaInside = panel.gamma;
    out.off = std::max(out.off, panel.off);
    out.turned = std::max(out.turned, panel.turned);
    out.tipOff = panel.tipOff;
    out.panels.push_back(std::move(panel));
  }
  return out;
}

void assemblyFigures(const WholeWing& wing, FigureList& out) {
  const Assembly a = assembled(wing);
  const std::string path = pathOf(wing.panels.front().design.id);
  const std::vector<std::string> from{path + "join.datum", path + "ribs.count", path + "panel.washout"};
  const AssembledRib* worst = nullptr;
  for (const AssembledPanel& p : a.panels)
    for (const AssembledRib& r : p.ribs)
      if (!worst || r.off > worst->off) worst = &r;
  const char* how = "each flat rib on its straight spar and its packing, panels by their braces or sawn ends";
  const char* source = "second construction from the parts as they are cut";
  if (worst) { // of a wing all of sheet there is no rib
    out.add({"assembly.off", "Put together again, off by", a.off, Quantity::length, Stage::joins,
             fmt::format("the farthest that a rib's outline lies from the panel's surface: R{}", worst->rib), how,
             fmt::format("R{}: {}, turned {}", worst->rib, out.len(a.off), out.deg(worst->turned)), source, from});
    out.add({"assembly.turned", "Put together again, turned by", a.turned, Quantity::angle, Stage::joins,
             "the most that any rib is turned against its washout", how, fmt::format("= {}", out.deg(a.turned)), source,
             from});
  }
  if (a.room)
    out.add({"assembly.room",
             "Slot clearance, trial assembly",
             *a.room,
             Quantity::length,
             Stage::joins,
             "the least on either side of a sheet spar in a rib's slot, or of a rib in a half-lap; less than nothing "
             "cannot be slid in",
             "both as solids: the slot as it is cut, all through the rib's thickness, and what slides in as it lies on "
             "the plan",
             fmt::format("= {}", out.len(*a.room)),
             source,
             {path + "ribs.notchFit", path + "ribs.slotCut", path + "ribs.thickness"}});
  out.add({"assembly.strip",
           "Put together again, strips off by",
           a.strip,
           Quantity::length,
           Stage::joins,
           "the most that a strip's length on the parts list differs from what it takes between the joins",
           "the strips' edges meet the planes that the saw follows",
           fmt::format("= {}", out.len(a.strip)),
           source,
           {path + "join.dihedral.rise", path + "join.dihedral.angle"}});
  out.add({"assembly.tipOff",
           "Put together again, tip off by",
           a.tipOff,
           Quantity::length,
           Stage::joins,
           "from where the tip rib's nose point should be in space",
           "panels joined by their braces, or by their sawn ends",
           fmt::format("= {}", out.len(a.tipOff)),
           source,
           {path + "join.dihedral.rise", path + "join.dihedral.angle"}});
}

} // namespace eup
