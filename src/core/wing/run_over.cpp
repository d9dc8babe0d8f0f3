#include "core/wing/run_over.h"
#include "core/design/record_keys.h"
#include "core/geometry/tolerances.h"
#include <algorithm>
#include <cmath>
#include <Eigen/Geometry>
#include <utility>

namespace eup {
namespace {

/// Caps and their doublers are told apart by role; an outer piece goes on as an inner one does.
enum class Role { none, leading, trailing, cap, doubler, sheet };

Role roleOf(const Part& part) {
  if (part.id.kind == PieceKind::sheetSpar) return Role::sheet;
  if (part.stock.form != Stock::Form::strip && part.stock.form != Stock::Form::rod) return Role::none;
  switch (part.id.kind) {
  case PieceKind::leadingEdge:
    return Role::leading;
  case PieceKind::trailingEdge:
    return Role::trailing;
  case PieceKind::cap:
  case PieceKind::capOuter:
    return Role::cap;
  case PieceKind::doubler:
  case PieceKind::doublerOuter:
    return Role::doubler;
  default:
    return Role::none;
  }
}

bool reachesRoot(const Part& part) {
  return part.from.y() < tolerance::atAnEnd;
}

bool reachesTip(const Part& part, const TruePanel& panel) {
  return part.to.y() > panel.shape.loft.span() - tolerance::atAnEnd;
}

/// Which way it runs, in the wing's axes.
Point3 wayOf(const Part& part, double gamma) {
  const Point3 way = (part.to - part.from).normalized();
  return {way.x(), way.y() * std::cos(gamma) - way.z() * std::sin(gamma),
          way.y() * std::sin(gamma) + way.z() * std::cos(gamma)};
}

/// Whether a strip can go from one direction into the other: sprung where it runs through, cracked where it is.
bool goesOn(const Point3& one, const Point3& other, SparsThere there) {
  const auto angle = [](const Point& a, const Point& b) {
    return std::abs(std::atan2(a.x() * b.y() - a.y() * b.x(), a.dot(b)));
  };
  const double aft = angle({one.x(), one.y()}, {other.x(), other.y()}),
               up = angle({one.z(), one.y()}, {other.z(), other.y()});
  return there == SparsThere::cracked ? aft <= cracksAft : aft <= springs && up <= springs;
}

/// The strip of the panel inside that this one is the length of, beyond their join.
Part* insideOf(const Part& part, const TruePanel& panel, TruePanel& inside, SparsThere there) {
  if (roleOf(part) == Role::sheet) return nullptr; // cut flat: it would need its own drawing over both
  constexpr double meets = 1;                      // mm, that the two lines may miss each other by: sprung
  for (Part& other : inside.parts) {
    const bool same = roleOf(other) == roleOf(part) && other.id.top == part.id.top && other.count == part.count &&
                      other.material == part.material && other.stock.form == part.stock.form;
    if (!same || !reachesTip(other, inside)) continue;
    const ChordFrame end = inside.shape.loft.frameAt(inside.shape.loft.span()), root = panel.shape.loft.frameAt(0);
    const double aft = (part.from.x() - root.le.x()) - (other.to.x() - end.le.x()),
                 up = (part.from.z() - root.le.y()) - (other.to.z() - end.le.y());
    if (std::abs(aft) > meets || std::abs(up) > meets) continue;
    constexpr double asSold = 0.05; // mm: of one and the same stock
    if (std::abs(other.stock.widthThen - part.stock.width) > asSold ||
        (roleOf(part) != Role::leading && roleOf(part) != Role::trailing &&
         std::abs(other.stock.thicknessThen - part.stock.thickness) > asSold))
      continue;
    if (goesOn(wayOf(other, inside.design.gamma), wayOf(part, panel.design.gamma), there)) return &other;
  }
  return nullptr;
}

/// What one hand has of a piece, from the centre or from where it begins.
struct Half {
  double length = 0;         ///< mm
  std::vector<double> joins; ///< mm, where it passes one further out
};

/// Of both hands where there is a left one.
void tellWhole(Part& part, const Half& own, const Half* left) {
  const double before = left ? left->length : 0;
  part.overJoins.clear();
  if (left) {
    for (auto at = left->joins.rbegin(); at != left->joins.rend(); ++at) part.overJoins.push_back(before - *at);
    part.overJoins.push_back(before);
  }
  for (const double at : own.joins) part.overJoins.push_back(before + at);
  part.length = before + own.length;
  if (roleOf(part) == Role::sheet && left) part.area *= 2;
}

/// What its own hand has of a piece that both share alike.
Half halfOf(const Part& part) {
  Half out{part.length / 2, {}};
  for (const double at : part.overJoins)
    if (at > out.length + tolerance::atAnEnd) out.joins.push_back(at - out.length);
  return out;
}

/// One that both hands share, as long as it is in its own.
void endAtCentre(Part& part) {
  part.shared = false;
  tellWhole(part, halfOf(part), nullptr);
  if (roleOf(part) == Role::sheet) part.area /= 2;
}

/// How far a scarf is to lie from a join: beyond the bays beside it and the legs of its braces.
double aroundJoins(const WholeWing& w) {
  double out = 0;
  for (std::size_t k = 0; k < w.panels.size(); ++k) {
    const std::vector<Rib>& ribs = w.panels[k].frame.ribs;
    if (ribs.size() > 1) {
      out = std::max(out, ribs[1].t() - ribs[0].t());
      if (k + 1 < w.panels.size()) out = std::max(out, ribs.back().t() - ribs[ribs.size() - 2].t());
    }
    for (const Brace& brace : w.panels[k].join.braces) out = std::max({out, brace.outer.length, brace.inner.length});
  }
  return out;
}

} // namespace

bool runsOverRoot(const Part& part) {
  return part.toldAs || (part.shared && !part.overJoins.empty());
}

void runOver(WholeWing& w) {
  for (std::size_t k = 1; k < w.panels.size(); ++k) {
    TruePanel &panel = w.panels[k], &inside = w.panels[k - 1];
    const SparsThere there = panel.design.join.sparsThere;
    if (there == SparsThere::end) continue;
    for (Part& part : panel.parts)
      if (roleOf(part) != Role::none && reachesRoot(part))
        if (Part* on = insideOf(part, panel, inside, there)) {
          part.toldAs = on->toldAs ? *on->toldAs : Part::Told{static_cast<int>(k) - 1, on->id};
          on->goesOn = true;
          on->length -= std::exchange(on->pastTip, 0), part.length -= std::exchange(part.pastRoot, 0);
        }
  }
  const TruePanel& root = w.panels.front();
  const SparsThere there = root.design.join.sparsThere;
  for (std::size_t k = 0; k < w.panels.size(); ++k)
    for (Part& part : w.panels[k].parts) {
      if (part.toldAs || roleOf(part) == Role::none) continue;
      Half own{part.length, {}};
      for (const auto& [in, other] : lengthsOf(w, {static_cast<int>(k), part.id}))
        if (other != &part) own.joins.push_back(own.length), own.length += other->length;
      const Point3 way = wayOf(part, root.design.gamma);
      part.shared = k == 0 && w.mirrored && there != SparsThere::end && reachesRoot(part) &&
                    goesOn(way, {-way.x(), way.y(), -way.z()}, there);
      if (!part.shared && own.joins.empty()) continue;
      if (part.shared) { // no end there
        for (double& at : own.joins) at -= part.pastRoot;
        own.length -= std::exchange(part.pastRoot, 0);
      }
      tellWhole(part, own, part.shared ? &own : nullptr);
      part.noScarf = aroundJoins(w);
    }
}

void runOverBoth(WholeWing& right, WholeWing& left) {
  std::vector<Part>&rights = right.panels.front().parts, &lefts = left.panels.front().parts;
  const auto named = [](std::vector<Part>& in, const PieceId& id) -> Part* {
    const auto found = std::ranges::find(in, id, &Part::id);
    return found == in.end() ? nullptr : &*found;
  };
  for (Part& part : rights) {
    Part* other = named(lefts, part.id);
    if (!other || !runsOverRoot(part) || !runsOverRoot(*other) || roleOf(part) == Role::sheet) continue;
    const Half own = halfOf(part), others = halfOf(*other);
    tellWhole(part, own, &others);
    tellWhole(*other, own, &others);
  }
  // What one hand alone has so, and sheet that is cut from drawings of its own, ends there.
  for (const auto& [in, beside] : {std::pair(&rights, &lefts), std::pair(&lefts, &rights)})
    for (Part& part : *in) {
      const Part* other = named(*beside, part.id);
      if (runsOverRoot(part) && (!other || !runsOverRoot(*other) || roleOf(part) == Role::sheet)) endAtCentre(part);
    }
}

double nickDepth(double deep, const Join& join) {
  return std::max(deep - join.crackLeaves, 0.0);
}

Part::Told toldFor(const TruePanel& panel, const Part& part) {
  return part.toldAs.value_or(Part::Told{panel.design.id.panel, part.id});
}

std::vector<std::pair<const TruePanel*, const Part*>> lengthsOf(const WholeWing& w, const Part::Told& piece) {
  std::vector<std::pair<const TruePanel*, const Part*>> out;
  for (std::size_t k = static_cast<std::size_t>(piece.panel); k < w.panels.size(); ++k)
    for (const Part& part : w.panels[k].parts)
      if (toldFor(w.panels[k], part) == piece) out.emplace_back(&w.panels[k], &part);
  return out;
}

double gramsWhole(const WholeWing& w, int panel, const Part& part) {
  if (part.toldAs) return 0;
  if (part.overJoins.empty()) return part.grams;
  double sum = 0;
  for (const auto& [in, length] : lengthsOf(w, {panel, part.id})) sum += length->grams;
  return sum;
}

std::vector<SawnStrip> sawnAt(const TruePanel& p, bool root) {
  const auto passes = [&](const Part& part) { return root ? runsOverRoot(part) : part.goesOn; };
  const SparsThere there = root              ? p.design.join.sparsThere
                           : p.design.beyond ? p.design.beyond->sparsThere
                                             : SparsThere::end;
  const double lean = root ? p.design.lean : p.design.leanBeyond;
  std::vector<SawnStrip> out = sawnEnds(p.design, p.shape.loft, p.frame.spars, root, lean);
  constexpr double square = 1e-3; // rad: sheet that only butts on the middle of a rib
  std::erase_if(out, [&](const SawnStrip& s) {
    if (s.sheet) return there == SparsThere::through && std::abs(s.cut.mitre) < square && std::abs(s.cut.tilt) < square;
    return std::ranges::any_of(p.parts, [&](const Part& part) {
      PieceId id = part.id;
      id.piece = 0;
      if (id.kind == PieceKind::capOuter) id.kind = PieceKind::cap;
      return id == s.piece && passes(part);
    });
  });
  return out;
}

bool passesRoot(const TruePanel& panel) {
  return std::ranges::any_of(panel.parts, runsOverRoot);
}

bool passesTip(const TruePanel& panel) {
  return std::ranges::any_of(panel.parts, [](const Part& part) { return part.goesOn; });
}

bool straightOverRoot(const TruePanel& panel) {
  return panel.design.join.sparsThere == SparsThere::through && passesRoot(panel);
}

BuiltAsOne builtWith(const WholeWing& w, int panel) {
  const auto passes = [&](int k) { return passesRoot(w.panels[static_cast<std::size_t>(k)]); };
  BuiltAsOne out{panel, panel, false};
  while (out.inner > 0 && passes(out.inner)) --out.inner;
  while (out.outer + 1 < static_cast<int>(w.panels.size()) && passes(out.outer + 1)) ++out.outer;
  out.bothHands = w.mirrored && out.inner == 0 && passes(0);
  return out;
}

std::string boardPrefix(const TrueWing& w, int wing, const BuiltAsOne& built, Hand hand) {
  const bool oneHand = w.wing(wing).mirrored && !built.bothHands;
  return stepPrefix(w.at({wing, built.inner}).design.lasting(), oneHand ? std::optional(hand) : std::nullopt);
}

} // namespace eup
