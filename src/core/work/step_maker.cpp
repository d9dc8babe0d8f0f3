#include "core/work/step_maker.h"
#include <algorithm>
#include <cmath>
#include <fmt/format.h>

namespace eup {

StepMaker::StepMaker(const TruePanel& of, Hand one, bool mirrored, double celsius, std::vector<Step>& to)
    : panel(of), whose(mirrored ? fmt::format("{} hand", name(one)) : std::string(theFin)), out(to), hand(one),
      warm(celsius),
      prefix(stepPrefix(of.design.id.wing, of.design.id.panel, mirrored ? std::optional(one) : std::nullopt)) {
  if (panel.design.of > 1) whose = fmt::format("panel {}, {}", panel.design.id.panel + 1, whose);
}

std::string StepMaker::add(const std::string& key, std::string what, double minutes, std::vector<std::string> needs,
                           const StepMore& more) {
  const PanelId id = panel.design.id;
  Step s;
  s.key = prefix + key, s.what = std::move(what), s.on = whose;
  s.with = more.with, s.minutes = std::max(std::round(minutes), 1.0), s.cureHours = more.cure,
  s.attended = more.attended;
  for (std::string& need : needs)
    if (!need.empty()) s.needs.push_back(std::move(need));
  s.look = more.look, s.caution = more.caution, s.print = more.print;
  const std::string place = id.panel > 0 ? fmt::format("panel{}.", id.panel + 1) : std::string();
  const std::string wing = id.wing > 0 ? fmt::format("wing{}.", id.wing + 1) : std::string();
  for (const std::string& f : more.figures) { // of one rib, ribs' numbers tell apart
    const bool ofRib = f.starts_with("setup.") || f.starts_with("rib.");
    s.figures.push_back(fmt::format("{}{}{}", wing, ofRib ? std::string() : place, f));
  }
  s.wing = id.wing, s.panel = id.panel;
  if (panel.design.mirrored) s.hand = hand;
  out.push_back(std::move(s));
  return out.back().key;
}

std::string StepMaker::told(const std::string& key) const {
  const auto found = std::find_if(out.begin(), out.end(), [&](const Step& s) { return s.key == prefix + key; });
  return found == out.end() ? std::string() : found->key;
}

double StepMaker::share(double minutes) const {
  const Panel& p = panel.design.panel;
  const double area = panel.shape.loft.span() * (p.rootChord + p.tipChord) / 2;
  return minutes * std::clamp(area / 140000, 0.2, 4.0);
}

double StepMaker::ribCount() const {
  return static_cast<double>(panel.frame.ribs.size() + panel.frame.riblets.size());
}

double StepMaker::setHours() const {
  return cureHours(panel.design.tables.glue(panel.design.glue), warm);
}

double StepMaker::epoxyHours() const {
  return cureHours(panel.design.tables.glue("epoxy"), warm);
}

std::string StepMaker::glue() const {
  return panel.design.tables.glue(panel.design.glue).label;
}

} // namespace eup
