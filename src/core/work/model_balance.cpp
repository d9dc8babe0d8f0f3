#include "core/work/model_balance.h"
#include <map>
#include <set>

namespace eup {
namespace {

/// Right hand's place in the model, by its panel's place in space.
Point3 inModel(const TrueWing& w, std::size_t wing, std::size_t panel, const Point3& inPanel) {
  const Wing& place = w.design.wings[wing];
  Point3 p = w.wings[wing].inSpace[panel].at(inPanel.x(), inPanel.y(), inPanel.z());
  if (!w.wings[wing].mirrored) p = Point3(p.x(), -p.z(), p.y()); // a fin stands up
  return p + Point3(place.aft, 0, place.up);
}

/// What was weighed, by piece and hand.
class Scales {
public:
  explicit Scales(const std::vector<Weighed>& weighed) {
    for (const Weighed& one : weighed) all[{one.piece, one.hand}] = one.grams;
  }
  /// As weighed, else as reckoned.
  double gramsOf(const std::string& piece, Hand hand, double reckoned, ModelBalance& to) {
    const auto found = all.find({piece, hand});
    if (found == all.end()) return reckoned;
    ++to.weighed;
    to.weighedMore += found->second - reckoned;
    used.insert(found->first);
    return found->second;
  }
  void tellGone(ModelBalance& to) const {
    for (const auto& [which, grams] : all)
      if (!used.contains(which)) to.gone.push_back(which.first);
  }

private:
  std::map<std::pair<std::string, Hand>, double> all;
  std::set<std::pair<std::string, Hand>> used;
};

LiftingSurface surfaceOf(const TrueWing& w, std::size_t number) {
  const WholeWing& wing = w.wings[number];
  const Planform& p = wing.planform;
  const auto& tip = wing.panels.back().tip;
  LiftingSurface out;
  out.area = p.area + (tip ? 2 * tip->area : 0);
  out.span = 2 * (p.halfSpan + (tip ? tip->reach : 0));
  out.meanChord = p.meanChord;
  out.quarterChord = w.design.wings[number].aft + p.meanChordLe + p.meanChord / 4;
  if (w.design.wings[number].kind == WingKind::tailplane) out.flow = w.design.balance.tailFlow;
  return out;
}

} // namespace

std::string scalesName(PanelId panel, const Part& part) {
  return pathOf(panel) + part.key;
}

ModelBalance balanceOf(const TrueWing& w) {
  ModelBalance out;
  const Balance& decided = w.design.balance;
  Scales scales(decided.weighed);
  std::vector<MassPoint> pieces, glue, aboard;
  for (std::size_t i = 0; i < w.wings.size(); ++i) {
    const WholeWing& wing = w.wings[i];
    double grams = 0;
    for (std::size_t k = 0; k < wing.panels.size(); ++k)
      for (const Part& part : wing.panels[k].parts) {
        const std::string name = scalesName(wing.panels[k].design.id, part);
        const Point3 right = inModel(w, i, k, part.centre);
        const auto put = [&](Hand hand, double reckoned, const Point3& at) {
          const double weighs = scales.gramsOf(name, hand, reckoned, out);
          grams += weighs;
          pieces.push_back({weighs, at});
          if (part.what != Part::What::covering) glue.push_back({weighs * decided.glue, at});
        };
        if (!wing.mirrored)
          put(Hand::right, part.grams, right);
        else if (part.shared)
          put(Hand::right, 2 * part.grams, {right.x(), 0, right.z()});
        else {
          put(Hand::right, part.grams, right);
          put(Hand::left, part.grams, {right.x(), -right.y(), right.z()});
        }
      }
    if (wing.mirrored) out.wings.push_back({w.design.wings[i].name, surfaceOf(w, i), grams});
  }
  scales.tellGone(out);
  for (const Aboard& a : decided.aboard) aboard.push_back({a.grams, {a.aft, a.right, a.up}});
  out.pieces = together(pieces), out.glue = together(glue), out.aboard = together(aboard);
  out.all = together(std::vector{out.pieces, out.glue, out.aboard});
  out.rightMore = out.all.grams * out.all.at.y();
  out.tipOut = w.main().fromAbove;
  if (!out.lifts()) return out;
  std::vector<LiftingSurface> surfaces;
  for (const BalancedWing& wing : out.wings) surfaces.push_back(wing.surface);
  out.neutral = neutralPoint(surfaces);
  const Planform& main = w.main().planform;
  out.meanChord = main.meanChord, out.meanChordLe = w.design.wings.front().aft + main.meanChordLe;
  out.wanted = out.neutral.aft - decided.margin * out.meanChord;
  out.area = out.wings.front().surface.area, out.aspect = out.wings.front().surface.aspect();
  return out;
}

} // namespace eup
