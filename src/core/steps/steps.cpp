#include "core/steps/steps.h"
#include "core/bench/progress.h"
#include "core/report/told.h"
#include "core/steps/order.h"
#include "core/steps/piece_words.h"
#include "core/steps/step_maker.h"
#include <algorithm>
#include <cmath>
#include <fmt/format.h>
#include <map>

namespace eup {
namespace {

/// What the builder changed of the order: steps left out hand on what they needed; own ones are put in; a wish that
/// would go in a circle is no wish.
void takeOwnOrder(const BenchPlan& plan, std::vector<Step>& steps) {
  const auto at = [&](const std::string& key) {
    return std::find_if(steps.begin(), steps.end(), [&](const Step& s) { return s.key == key; });
  };
  for (const LeftOutStep& out : plan.leftOut) {
    const auto gone = at(out.key);
    if (gone == steps.end()) continue;
    const Step was = *gone;
    steps.erase(gone);
    for (Step& s : steps)
      if (const auto need = std::find(s.needs.begin(), s.needs.end(), was.key); need != s.needs.end()) {
        s.needs.erase(need);
        for (const std::string& handed : was.needs)
          if (std::find(s.needs.begin(), s.needs.end(), handed) == s.needs.end()) s.needs.push_back(handed);
      }
  }
  const auto tryNeed = [&](const std::string& key, const std::string& need) {
    const auto step = at(key);
    if (step == steps.end() || at(need) == steps.end() || key == need) return;
    if (std::find(step->needs.begin(), step->needs.end(), need) != step->needs.end()) return;
    step->needs.push_back(need);
    if (circleIn(activitiesOf(steps))) step->needs.pop_back();
  };
  const auto putIn = [&](const OwnStep& own, const std::string& key, const std::string& after,
                         const std::string& before) {
    Step s;
    s.key = key, s.what = own.name, s.on = "my own", s.with = own.with, s.look = own.look;
    s.minutes = own.minutes, s.cureHours = own.cure;
    const auto follows = at(after);
    if (follows != steps.end())
      s.wing = follows->wing, s.panel = follows->panel, s.hand = follows->hand, s.on = follows->on;
    steps.insert(follows == steps.end() ? steps.begin() : follows + 1, s);
    tryNeed(key, after);
    tryNeed(before, key);
  };
  for (std::size_t i = 0; i < plan.own.size(); ++i) {
    const OwnStep& own = plan.own[i];
    std::string key = ownStepKey(own.number);
    if (at(key) != steps.end()) key += fmt::format(".{}", i + 1); // a number given twice, in a file
    putIn(own, key, own.after, own.before);
    const std::string after = otherHandsKey(own.after);
    if (own.eachHand && after != own.after) putIn(own, key + ".other", after, otherHandsKey(own.before));
  }
  for (const OwnNeed& n : plan.needs) tryNeed(n.step, n.needs);
}

} // namespace

std::vector<Step> stepsOf(const TrueWing& w, std::optional<double> warm) {
  const double celsius = warm.value_or(w.design.bench.celsius);
  StepList told;
  std::vector<std::string> last;
  for (const WholeWing& wing : w.wings)
    for (std::string& key : wingSteps(w, wing, celsius, told)) last.push_back(std::move(key));
  Step weigh;
  weigh.key = "balance", weigh.what = "Weigh and balance the model", weigh.on = "the model", weigh.minutes = 20,
  weigh.needs = std::move(last);
  weigh.look = "Left against right; where it hangs level; ballast fast";
  weigh.caution = "First flights: clear space; keep to the local rules for model flying.";
  for (const char* key : {"balance.wanted", "balance.ballast"})
    if (figureNamed(w, key)) weigh.figures.emplace_back(key);
  told.put(std::move(weigh));
  std::vector<Step> out = told.take();
  for (Step& s : out) s.goesIn = wordsOf(w, s.puts);
  putJoints(w, out);
  keepWaysOpen(w, out);
  takeOwnOrder(w.design.bench, out);
  const std::map<std::string, double> learnt = learntFactors(out, w.design.records.steps);
  for (Step& s : out)
    if (const auto own = learnt.find(kindOfStep(s.key)); own != learnt.end())
      s.minutes = std::max(std::round(s.minutes * own->second), 1.0);
    else if (const auto all = learnt.find(""); all != learnt.end())
      s.minutes = std::max(std::round(s.minutes * all->second), 1.0);
  return out;
}

} // namespace eup
