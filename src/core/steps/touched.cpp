#include "core/steps/touched.h"
#include "core/assembly/piece_finder.h"
#include "core/bench/progress.h"
#include "core/steps/steps.h"
#include <algorithm>
#include <cmath>
#include <fmt/format.h>
#include <map>
#include <set>

namespace eup {
namespace {

/// The pieces that a step is about, as they are cut: to a hundredth of a millimetre.
std::multiset<std::string> told(const TrueWing& aircraft, const Step& s) {
  std::multiset<std::string> out;
  for (const std::vector<PlacedPiece>* list : {&s.makes, &s.puts, &s.works})
    for (const PlacedPiece& at : *list)
      if (const Part* part = PieceFinder(aircraft.of(at.hand).at({at.wing, at.panel}).parts).find(at.id))
        out.insert(fmt::format("{} {} {:.2f} {:.2f} {:.1f} {:.2f}", part->key(), part->count, part->length,
                               part->breadth, part->area, part->stock.thickness));
  return out;
}

const TruePanel* panelIn(const TrueWing& aircraft, const Step& s) {
  const TrueWing& w = aircraft.of(s.hand.value_or(Hand::right));
  if (!s.panel || s.wing >= static_cast<int>(w.wings.size()) ||
      *s.panel >= static_cast<int>(w.wing(s.wing).panels.size()))
    return nullptr;
  return &w.at({s.wing, *s.panel});
}

} // namespace

std::vector<std::size_t> touchedSteps(const TrueWing& before, const TrueWing& after, const std::vector<Step>& steps,
                                      std::span<const StepRecord> records) {
  std::vector<std::size_t> out;
  const bool begun =
      std::ranges::any_of(records, [](const StepRecord& r) { return !r.begun.empty() || !r.done.empty(); });
  if (!begun) return out;
  std::map<std::string, Step> earlier;
  for (Step& s : stepsOf(before)) earlier[s.key] = std::move(s);
  for (std::size_t i = 0; i < steps.size(); ++i) {
    const StepRecord* r = recordOf(records, steps[i].key);
    if (!r || (r->begun.empty() && r->done.empty())) continue;
    const TruePanel *was = panelIn(before, steps[i]), *is = panelIn(after, steps[i]);
    if (!is) continue;
    if (!was) {
      out.push_back(i);
      continue;
    }
    const std::string kind = kindOfStep(steps[i].key);
    constexpr double hair = 1e-6; // rad
    const bool turned = (kind == "join" || kind == "centre") && (std::abs(was->join.gamma - is->join.gamma) > hair ||
                                                                 std::abs(was->join.onBoard - is->join.onBoard) > hair);
    const double twistWas = was->shape.loft.frameAt(was->shape.loft.span()).washout,
                 twistIs = is->shape.loft.frameAt(is->shape.loft.span()).washout;
    const bool twisted = (kind == "ribsOn" || kind == "off") && std::abs(twistWas - twistIs) > hair;
    const auto same = earlier.find(steps[i].key);
    const bool others = same == earlier.end() || told(before, same->second) != told(after, steps[i]);
    if (turned || twisted || others) out.push_back(i);
  }
  return out;
}

} // namespace eup
