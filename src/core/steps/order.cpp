#include "core/steps/order.h"
#include "core/bench/progress.h"
#include "core/bench/recording.h"
#include "core/geometry/region.h"
#include "core/wing/joints.h"
#include <algorithm>
#include <fmt/format.h>
#include <map>
#include <set>

namespace eup {

std::string joinKey(const TruePanel& panel, std::optional<Hand> hand) {
  return stepPrefix(panel.design.lasting(), hand) + "join";
}

std::string centreKey(const TruePanel& root) {
  return fmt::format("{}.centre", root.design.wingNumber + 1);
}

namespace {

constexpr int nowhere = -1;

/// One panel of one hand, as it is put together.
struct Body {
  const TruePanel& panel;
  const std::vector<Bond>& joints;
  Hand hand;
  std::map<PieceId, Part::Told> told{}; ///< what goes in with a panel further in
  PlacedPiece at(const PieceId& id) const {
    const auto whole = told.find(id);
    return whole == told.end() ? PlacedPiece{panel.design.id.wing, panel.design.id.panel, hand, id}
                               : PlacedPiece{panel.design.id.wing, whole->second.panel, hand, whole->second.as};
  }
  /// Of the panel inside it.
  PlacedPiece inside(const PieceId& id) const { return {panel.design.id.wing, panel.design.id.panel - 1, hand, id}; }
};

std::vector<Body> bodiesOf(const TrueWing& w) {
  std::vector<Body> out;
  for (const WholeWing& wing : w.wings)
    for (const TruePanel& p : wing.panels)
      for (const Hand hand : {Hand::right, Hand::left}) {
        if (hand == Hand::left && !wing.mirrored) continue;
        const TrueWing& of = w.of(hand);
        Body& body = out.emplace_back(Body{of.at(p.design.id), jointsOf(of).at(p.design.id), hand});
        for (const Part& part : body.panel.parts)
          if (part.toldAs) body.told.emplace(part.id, *part.toldAs);
      }
  return out;
}

/// The steps as they follow from each other.
class Order {
public:
  explicit Order(const std::vector<Step>& of) : steps(of) {
    for (std::size_t i = 0; i < steps.size(); ++i) index[steps[i].key] = static_cast<int>(i);
    for (std::size_t i = 0; i < steps.size(); ++i)
      for (const PlacedPiece& piece : steps[i].puts) putAt.emplace(piece, static_cast<int>(i));
    ranks.assign(steps.size(), nowhere);
    int next = 0;
    for (std::size_t i = 0; i < steps.size(); ++i) rank(static_cast<int>(i), next);
  }
  int named(const std::string& key) const {
    const auto found = index.find(key);
    return found == index.end() ? nowhere : found->second;
  }
  /// Where a piece goes in; of one that both hands share, with the right one.
  int whereIn(PlacedPiece piece) const {
    auto found = putAt.find(piece);
    if (found == putAt.end() && piece.hand == Hand::left) piece.hand = Hand::right, found = putAt.find(piece);
    return found == putAt.end() ? nowhere : found->second;
  }
  int later(int a, int b) const {
    return ranks[static_cast<std::size_t>(a)] > ranks[static_cast<std::size_t>(b)] ? a : b;
  }
  /// Whether the left hand meets something in it that comes with the right one alone: it slides in from the middle.
  bool ofBothHands(const Body& body, const Bond& b) const {
    if (body.hand != Hand::left) return false;
    const bool one = putAt.contains(body.at(b.one)), other = putAt.contains(body.at(b.other));
    if (one == other) return false; // its own; or of what both hands share
    const int at = whereIn(body.at(one ? b.other : b.one));
    return at == nowhere || steps[static_cast<std::size_t>(at)].hand == Hand::right;
  }
  /// At which step a joint is made; `nowhere` where a piece of it goes in at none, or what it joins slides.
  int madeAt(const Body& body, const Bond& b) const {
    const std::optional<Hand> hand = body.panel.design.mirrored ? std::optional(body.hand) : std::nullopt;
    if (b.to == BondTo::inside) {
      if (const int join = named(joinKey(body.panel, hand)); join != nowhere) return join;
      const int one = whereIn(body.at(b.one)), other = whereIn(body.inside(b.other)); // built as one
      return one == nowhere || other == nowhere ? nowhere : later(one, other);
    }
    if (b.to == BondTo::other) return body.hand == Hand::left ? nowhere : named(centreKey(body.panel));
    const int one = whereIn(body.at(b.one)), other = whereIn(body.at(b.other));
    if (one == nowhere || other == nowhere) return nowhere;
    const int joined = ofBothHands(body, b) ? named(centreKey(body.panel)) : nowhere;
    return joined != nowhere ? joined : later(one, other);
  }
  /// Whether `step` waits for `first`, over others or not; a step waits for itself.
  bool waitsFor(int step, int first) const {
    std::set<int> seen;
    const auto look = [&](auto self, int at) -> bool {
      if (at == first) return true;
      if (!seen.insert(at).second) return false;
      return std::ranges::any_of(steps[static_cast<std::size_t>(at)].needs, [&](const std::string& need) {
        const int there = named(need);
        return there != nowhere && self(self, there);
      });
    };
    return look(look, step);
  }

private:
  void rank(int at, int& next) {
    int& mine = ranks[static_cast<std::size_t>(at)];
    if (mine != nowhere) return;
    mine = 0; // in a circle: somewhere
    for (const std::string& need : steps[static_cast<std::size_t>(at)].needs)
      if (const int there = named(need); there != nowhere) rank(there, next);
    mine = next++;
  }
  const std::vector<Step>& steps;
  std::map<std::string, int> index;
  std::map<PlacedPiece, int> putAt;
  std::vector<int> ranks;
};

bool isIn(const std::vector<PieceId>& all, const PieceId& id) {
  return std::ranges::find(all, id) != all.end();
}

/// Whether it is reached from where a surface is cut out, or from the end of the panel, when all is shut.
bool fromOutside(const Bond& b) {
  if (b.to != BondTo::own || b.use == GlueUse::facing || b.use == GlueUse::cloth) return true;
  for (const PieceId& id : {b.one, b.other}) switch (id.kind) {
    case PieceKind::facing:
    case PieceKind::wingFacing:
    case PieceKind::hingeBlockWing:
    case PieceKind::hingeBlockSurface:
    case PieceKind::hornBlock:
    case PieceKind::capStrip:
    case PieceKind::capStripAft:
    case PieceKind::tip:
      return true;
    default:
      break;
    }
  return false;
}

/// Calls `closed(step, closing, bond)` for every joint that lies in what is shut.
template <class Closed> void whatIsShut(const TrueWing& w, const Order& order, Closed closed) {
  for (const Body& body : bodiesOf(w))
    for (const Space& space : body.panel.spaces) {
      int closing = nowhere;
      for (const std::vector<PieceId>* face : {&space.below, &space.above})
        for (const PieceId& id : *face)
          if (const int at = order.whereIn(body.at(id)); at != nowhere)
            closing = closing == nowhere ? at : order.later(closing, at);
      if (closing == nowhere) continue;
      std::set<int> told;
      for (const Bond& b : body.joints) {
        if (fromOutside(b) || order.ofBothHands(body, b)) continue;
        if (isIn(space.above, b.one) || isIn(space.below, b.one) || isIn(space.above, b.other) ||
            isIn(space.below, b.other))
          continue;
        const Point at(b.at.x(), b.at.y());
        constexpr double hair = 0.05; // mm
        const int step = order.madeAt(body, b);
        if (step == nowhere || step == closing || told.contains(step) ||
            intersect(space.plan, {rectangle(at - Point(hair, hair), at + Point(hair, hair))}).empty())
          continue;
        told.insert(step);
        closed(step, closing, b);
      }
    }
}

} // namespace

void putJoints(const TrueWing& w, std::vector<Step>& steps) {
  for (Step& s : steps) s.glue = {};
  const Order order(steps);
  for (const Body& body : bodiesOf(w))
    for (const Bond& b : body.joints) {
      const int at = order.madeAt(body, b);
      if (at == nowhere || b.use == GlueUse::cloth) continue;
      GlueUp& glue = steps[static_cast<std::size_t>(at)].glue;
      ++glue.joints;
      glue.length += b.length, glue.area += b.area, glue.grams += glueGrams(b);
    }
}

void keepWaysOpen(const TrueWing& w, std::vector<Step>& steps) {
  std::vector<std::pair<int, int>> wanted;
  {
    const Order order(steps);
    whatIsShut(w, order, [&](int step, int closing, const Bond&) {
      if (!order.waitsFor(closing, step) && !order.waitsFor(step, closing)) wanted.emplace_back(closing, step);
    });
  }
  for (const auto& [closing, step] : wanted) {
    auto& needs = steps[static_cast<std::size_t>(closing)].needs;
    needs.push_back(steps[static_cast<std::size_t>(step)].key);
    if (circleIn(activitiesOf(steps))) needs.pop_back();
  }
}

std::vector<std::string> contradictionsIn(const TrueWing& w, const std::vector<Step>& steps) {
  std::vector<std::string> out;
  std::map<PlacedPiece, int> times;
  for (const Step& s : steps)
    for (const PlacedPiece& piece : s.puts) ++times[piece];
  for (const Body& body : bodiesOf(w))
    for (const Part& part : body.panel.parts) {
      if (!part.toldWith(body.hand)) continue;
      const auto found = times.find(body.at(part.id));
      const int n = found == times.end() ? 0 : found->second;
      if (n != 1)
        out.push_back(fmt::format("“{}” goes in {} ({})", part.name, n == 0 ? "at no step" : "at more than one step",
                                  part.key()));
      if (found != times.end()) times.erase(found);
    }
  for (const auto& [piece, n] : times)
    out.push_back(fmt::format("{} goes in {} times and is no piece of this wing", textOf(piece.id), n));
  const Order order(steps);
  whatIsShut(w, order, [&](int step, int closing, const Bond& b) {
    if (!order.waitsFor(closing, step))
      out.push_back(fmt::format("“{}” lies behind “{}”: {} on {}", namedStep(steps[static_cast<std::size_t>(step)]),
                                namedStep(steps[static_cast<std::size_t>(closing)]), textOf(b.one), textOf(b.other)));
  });
  return out;
}

} // namespace eup
