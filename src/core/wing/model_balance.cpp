#include "core/wing/model_balance.h"
#include "core/design/record_keys.h"
#include "core/wing/run_over.h"
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
  const OtherHand left =
      wing.other.value_or(OtherHand{p, wing.fromAbove, tip ? tip->area : 0, tip ? tip->reach : 0, {}, {}});
  const Planform both = together(p, left.planform); // itself again where the hands are alike
  out.area = both.area + (tip ? tip->area : 0) + left.tipArea;
  out.span = p.halfSpan + (tip ? tip->reach : 0) + left.planform.halfSpan + left.tipReach;
  out.meanChord = both.meanChord;
  out.quarterChord = w.design.wings[number].aft + both.meanChordLe + both.meanChord / 4;
  if (w.design.wings[number].kind == WingKind::tailplane) out.flow = w.design.balance.tailFlow;
  return out;
}

} // namespace

ModelBalance balanceOf(const TrueWing& w) {
  ModelBalance out;
  const Balance& decided = w.design.balance;
  Scales scales(decided.weighed);
  std::vector<MassPoint> pieces, glue, aboard;
  for (std::size_t i = 0; i < w.wings.size(); ++i) {
    const WholeWing& wing = w.wings[i];
    double grams = 0, glued = 0;
    // A piece by its lengths, panel by panel, as each was reckoned.
    const auto put = [&](const TruePanel& panel, const Part& part, Hand hand, const std::vector<MassPoint>& lengths) {
      double reckoned = 0;
      for (const MassPoint& one : lengths) reckoned += one.grams;
      const double weighs = scales.gramsOf(pieceKey(panel.design.lasting(), part.id), hand, reckoned, out);
      grams += weighs;
      for (const MassPoint& one : lengths) {
        const double share = reckoned > 0 ? one.grams / reckoned : 0;
        pieces.push_back({weighs * share, one.at});
        if (part.what() != Part::What::covering) glue.push_back({weighs * share * decided.glue, one.at});
      }
      if (part.what() != Part::What::covering) glued += weighs * decided.glue;
    };
    const TrueWing& left = w.of(Hand::left);
    const auto massesOf = [&](const TrueWing& of, std::size_t k, const Part& part, bool turned) {
      std::vector<MassPoint> masses;
      for (const auto& [in, one] : lengthsOf(of.wings[i], {static_cast<int>(k), part.id})) {
        const Point3 at = inModel(of, i, static_cast<std::size_t>(in->design.id.panel), one->centre);
        masses.push_back({one->grams, {at.x(), turned ? -at.y() : at.y(), at.z()}});
      }
      return masses;
    };
    for (std::size_t k = 0; k < wing.panels.size(); ++k)
      for (const Part& part : wing.panels[k].parts) {
        if (part.toldAs) continue;
        std::vector<MassPoint> lengths = massesOf(w, k, part, false);
        if (wing.mirrored && part.shared) { // half of it in either hand; but a post stands where it stands
          if (part.what() == Part::What::post)
            lengths.front().grams *= 2;
          else
            for (const MassPoint& other : massesOf(left, k, part, true)) lengths.push_back(other);
        }
        put(wing.panels[k], part, Hand::right, lengths);
      }
    for (std::size_t k = 0; wing.mirrored && k < left.wings[i].panels.size(); ++k)
      for (const Part& part : left.wings[i].panels[k].parts)
        if (part.toldWith(Hand::left)) put(left.wings[i].panels[k], part, Hand::left, massesOf(left, k, part, true));
    if (wing.mirrored) out.wings.push_back({w.design.wings[i].name, surfaceOf(w, i), grams, glued});
  }
  scales.tellGone(out);
  for (const Aboard& a : decided.aboard) aboard.push_back({a.grams, {a.aft, a.right, a.up}});
  out.pieces = together(pieces), out.glue = together(glue), out.aboard = together(aboard);
  out.all = together(std::vector{out.pieces, out.glue, out.aboard});
  out.rightMore = out.all.grams * out.all.at.y();
  const WholeWing& leftMain = w.of(Hand::left).main();
  out.tipOut = out.rightMore > 0 ? leftMain.fromAbove : w.main().fromAbove; // of the lighter side
  if (!out.lifts()) return out;
  std::vector<LiftingSurface> surfaces;
  for (const BalancedWing& wing : out.wings) surfaces.push_back(wing.surface);
  out.neutral = neutralPoint(surfaces);
  const Planform main = bothHands(w.main());
  out.meanChord = main.meanChord, out.meanChordLe = w.design.wings.front().aft + main.meanChordLe;
  out.wanted = out.neutral.aft - decided.margin * out.meanChord;
  // All else stays where it is: the main wing takes its own mass and its own share of the lift along.
  double lift = 0;
  for (const SurfaceShare& s : out.neutral.shares) lift += s.weight;
  const double moves = out.neutral.shares.front().weight / lift -
                       (out.all.grams > 0 ? (out.wings.front().grams + out.wings.front().glue) / out.all.grams : 0);
  if (std::abs(moves) > 0.05) out.wingMove = (out.all.at.x() - out.wanted) / moves;
  out.area = out.wings.front().surface.area, out.aspect = out.wings.front().surface.aspect();
  return out;
}

} // namespace eup
