#include "core/steps/step_maker.h"
#include <algorithm>
#include <cmath>
#include <fmt/format.h>

namespace eup {

std::string placeOfWork(const TrueWing& w, int wing, std::optional<int> panel, std::optional<Hand> hand,
                        std::optional<int> outer) {
  const WholeWing& of = w.wing(wing);
  std::vector<std::string> words;
  if (wing > 0) words.push_back(w.design.wings[static_cast<std::size_t>(wing)].name);
  if (panel && outer && *outer > *panel)
    words.push_back(fmt::format("panels {} {} {}", *panel + 1, *outer == *panel + 1 ? "and" : "to", *outer + 1));
  else if (panel && of.panels.size() > 1)
    words.push_back(fmt::format("panel {}", *panel + 1));
  if (of.mirrored) words.push_back(hand ? fmt::format("{} hand", name(*hand)) : std::string("both hands"));
  return words.empty() ? std::string("the fin") : fmt::format("{}", fmt::join(words, ", "));
}

bool PieceQuery::covers(const PieceId& id) const {
  return std::ranges::find(kinds, id.kind) != kinds.end() && (!thing || thingOf(id) == *thing) &&
         (!top || id.top == *top);
}

bool StepList::has(const std::string& key) const {
  return std::ranges::any_of(steps, [&](const Step& s) { return s.key == key; });
}

std::vector<Step> StepList::take() {
  const auto there = [&](auto self, const std::string& need, std::vector<std::string>& out) -> void {
    const auto gone = left.find(need);
    if (gone == left.end()) {
      if (std::ranges::find(out, need) == out.end()) out.push_back(need);
      return;
    }
    for (const std::string& handed : gone->second) self(self, handed, out);
  };
  for (Step& s : steps) {
    std::vector<std::string> needs;
    for (const std::string& need : s.needs) there(there, need, needs);
    s.needs = std::move(needs);
  }
  return std::move(steps);
}

StepMaker::StepMaker(const TrueWing& w, const TruePanel& of, Hand one, double celsius, StepList& to)
    : StepMaker(w, {&of}, one, celsius, to) {}

StepMaker::StepMaker(const TrueWing& w, std::vector<const TruePanel*> of, std::optional<Hand> one, double celsius,
                     StepList& to)
    : panel(*of.front()),
      whose(placeOfWork(w, of.front()->design.id.wing, of.front()->design.id.panel, one, of.back()->design.id.panel)),
      out(to), hand(one), warm(celsius),
      prefix(stepPrefix(panel.design.lasting(), panel.design.mirrored ? one : std::nullopt)) {
  for (const Hand side : {Hand::right, Hand::left})
    if (!hand || *hand == side)
      for (const TruePanel* p : of) bodies.push_back({hand ? p : &w.of(side).at(p->design.id), side});
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
  s.wing = id.wing, s.panel = id.panel, s.outer = outermost().design.id.panel;
  if (panel.design.mirrored) s.hand = hand;
  if (more.makes) s.makes = pieces(*more.makes);
  if (more.puts) s.puts = pieces(*more.puts);
  if (more.works) s.works = pieces(*more.works);
  if (!more.anyway && (more.makes || more.puts) && s.makes.empty() && s.puts.empty()) {
    out.leave(s.key, std::move(s.needs));
    return prefix + key;
  }
  out.put(std::move(s));
  return prefix + key;
}

std::string StepMaker::told(const std::string& key) const {
  return out.has(prefix + key) ? prefix + key : std::string();
}

std::vector<PlacedPiece> StepMaker::pieces(const PieceQuery& query) const {
  std::vector<PlacedPiece> found;
  for (const auto& [of, side] : bodies)
    for (const Part& part : of->parts)
      if (query.covers(part.id) && part.toldWith(side))
        found.push_back({of->design.id.wing, of->design.id.panel, side, part.id});
  return found;
}

std::string StepMaker::edges(double minutes, std::vector<std::string> needs) {
  const bool leading = count({{PieceKind::leadingEdge}}) > 0, trailing = count({{PieceKind::trailingEdge}}) > 0;
  return add(
      "edges",
      leading && trailing ? "Glue leading and trailing edge"
      : leading           ? "Glue the leading edge"
                          : "Glue the trailing edge",
      minutes, std::move(needs),
      {.with = glue(), .cure = setHours(), .puts = PieceQuery{{PieceKind::leadingEdge, PieceKind::trailingEdge}}});
}

double StepMaker::share(double minutes) const {
  double area = 0;
  for (const Body& body : bodies) {
    const Panel& p = body.panel->design.panel;
    area += body.panel->shape.loft.span() * (p.rootChord + p.tipChord) / 2;
  }
  return minutes * std::clamp(area / 140000, 0.2, 4.0 * static_cast<double>(bodies.size()));
}

double StepMaker::ribCount() const {
  double ribs = 0;
  for (const Body& body : bodies) {
    ribs += static_cast<double>(body.panel->frame.ribs.size() + body.panel->frame.riblets.size());
    if (body.hand == Hand::left && !hand && body.panel->frame.ribs.front().shared) --ribs;
  }
  return ribs;
}

double StepMaker::setHours() const {
  return cureHours(panel.design.tables.glue(panel.design.glue), warm);
}

double StepMaker::epoxyHours() const {
  return cureHours(panel.design.tables.glue("epoxy"), warm);
}

std::string StepMaker::handInHead() const {
  return hand ? fmt::format("{} HAND", nameLarge(*hand)) : "BOTH HANDS";
}

std::string StepMaker::glue() const {
  return panel.design.tables.glue(panel.design.glue).label;
}

} // namespace eup
