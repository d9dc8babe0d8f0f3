#include "core/steps/touched.h"
#include "core/bench/progress.h"
#include <algorithm>
#include <cmath>
#include <fmt/format.h>
#include <set>

namespace eup {
namespace {

using What = Part::What;

/// Of which pieces a kind of step is about; none of those that are about the panel as a whole.
std::vector<What> piecesOf(const std::string& kind) {
  if (kind == "cutRibs" || kind == "ribsOn") return {What::ribs};
  if (kind == "strips") return {What::spars, What::leadingEdge, What::trailingEdge};
  if (kind == "lower" || kind == "upper" || kind == "cutSpars" || kind == "grooves") return {What::spars};
  if (kind == "webs" || kind == "rescue") return {What::webs};
  if (kind == "edges" || kind == "planeEdge") return {What::leadingEdge, What::trailingEdge};
  if (kind == "skinTop" || kind == "skinBelow" || kind == "blank" || kind == "shape") return {What::sheet};
  if (kind == "capStrips") return {What::capStrips};
  if (kind == "tip" || kind == "tipForm") return {What::tip};
  if (kind == "wire" || kind == "templates" || kind == "blocks" || kind == "between") return {What::core};
  if (kind == "stock" || kind == "plate" || kind == "joinWire") return {What::surface};
  if (kind == "apart" || kind == "saw" || kind == "face" || kind == "bevel" || kind == "servo" || kind == "hang")
    return {What::surface, What::ribs};
  if (kind == "off" || kind == "sand" || kind == "cover") return {What::ribs, What::sheet, What::spars, What::core};
  if (kind == "struts") return {What::strut};
  return {};
}

/// What there is of those pieces, to a hundredth of a millimetre.
std::multiset<std::string> told(const TruePanel& p, const std::vector<What>& whats) {
  std::multiset<std::string> out;
  for (const Part& part : p.parts)
    if (std::find(whats.begin(), whats.end(), part.what) != whats.end())
      out.insert(fmt::format("{} {} {:.2f} {:.2f} {:.1f} {:.2f}", part.key, part.count, part.length, part.breadth,
                             part.area, part.stock.thickness));
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
    const auto pieces = piecesOf(kind);
    if (turned || twisted || (!pieces.empty() && told(*was, pieces) != told(*is, pieces))) out.push_back(i);
  }
  return out;
}

} // namespace eup
