#include "core/takeaway/everything_done.h"
#include "core/bench/progress.h"
#include "core/bench/recording.h"
#include "core/design/record_keys.h"
#include "core/report/told.h"
#include "core/takeaway/piece_list.h"
#include "core/wing/as_read.h"
#include "core/wing/model_balance.h"
#include <algorithm>
#include <array>
#include <fmt/format.h>

namespace eup {
namespace {

/// Done when it is covered, or after.
bool isLate(const Step& s) {
  constexpr std::array late{"cover", "hang", "rod", "sand", "balance", "clothTop", "clothBelow", "joinWire", "struts"};
  return std::find(late.begin(), late.end(), kindOfStep(s.key)) != late.end();
}

std::vector<Hand> handsOf(const WholeWing& wing) {
  return wing.mirrored ? std::vector{Hand::right, Hand::left} : std::vector{Hand::right};
}

} // namespace

std::vector<OpenThings> openThings(const TrueWing& w, const std::vector<Step>& steps) {
  const Records& records = w.design.records;
  OpenThings gates{"Gates that nobody looked at", {}}, open{"Steps before covering that are not done", {}},
      looks{"Not looked at before it is closed", {}}, unread{"Never read", {}},
      unfitted{"Pieces not ticked as fitted", {}}, warned{"The readings say", {}};
  const auto isDone = [&](const Step& s) {
    const StepRecord* r = recordOf(records.steps, s.key);
    return r && !r->done.empty();
  };
  if (!steps.empty())
    for (const std::size_t i : openGates(steps, records.steps, steps.back().key))
      if (isDone(steps[i])) gates.lines.push_back(namedStep(steps[i]));
  for (const Step& s : steps)
    if (!isDone(s) && !isLate(s)) open.lines.push_back(namedStep(s));
  const std::vector<TwistRead> twists = twistsRead(w);
  for (const WholeWing& wing : w.wings)
    for (const TruePanel& p : wing.panels) {
      for (const Hold& h : p.holds)
        if (!h.looked) looks.lines.push_back(h.what);
      for (const Hand hand : handsOf(wing))
        if (std::none_of(twists.begin(), twists.end(),
                         [&](const TwistRead& t) { return t.panel == p.design.id && t.hand == hand; }))
          unread.lines.push_back(fmt::format(
              "washout of the {}{}, {} hand", p.design.name,
              p.design.of > 1 ? fmt::format(", panel {}", p.design.id.panel + 1) : std::string(), name(hand)));
    }
  for (const PieceLine& l : pieceList(w))
    for (const Hand hand : {Hand::right, Hand::left}) {
      if ((hand == Hand::left ? l.left : l.right) == 0) continue;
      const PartTick* tick = tickOf(records.parts, pieceKey(l.panel->design.lasting(), l.part->id), hand);
      if (!tick || !tick->fitted) unfitted.lines.push_back(fmt::format("{}, {}", nameOf(l), name(hand)));
    }
  for (const Finding& f : findingsOf(w))
    if (f.stage == Stage::build && f.severity != Severity::note)
      warned.lines.push_back(fmt::format("{}. {}", f.what, f.remedy));
  std::vector<OpenThings> out;
  for (OpenThings* one : {&gates, &open, &looks, &unread, &unfitted, &warned})
    if (!one->lines.empty()) out.push_back(std::move(*one));
  return out;
}

} // namespace eup
