// Panels become halves, halves a wing: in which order, and what is done to it when it is one.
#include "core/design/lasting.h"
#include "core/steps/order.h"
#include "core/steps/step_maker.h"
#include <cmath>
#include <fmt/format.h>
#include <map>

namespace eup {
namespace {

Step joinStep(const std::string& key, const TrueWing& w, const TruePanel& p, std::optional<Hand> hand,
              std::vector<std::string> needs, double celsius) {
  const int wing = p.design.id.wing, panel = p.design.id.panel;
  constexpr double flat = 0.002; // rad: nobody packs that
  Step s;
  s.key = key;
  s.what = panel > 0                         ? fmt::format("Join panel {} to panel {}", panel + 1, panel)
           : std::abs(p.design.gamma) < flat ? std::string("Join both halves, flat on the board")
           : p.design.join.propping == Propping::oneFlat
               ? std::string("Join both halves: one flat on the board, the other on its block")
               : std::string("Join both halves, a block under either tip");
  s.on = placeOfWork(w, wing, std::nullopt, hand);
  s.with = "slow epoxy", s.minutes = 25, s.cureHours = cureHours(p.design.tables.glue("epoxy"), celsius);
  s.needs = std::move(needs);
  s.look = panel > 0 ? "Tried dry; it stands on its block, its edges in line with the panel inside"
                     : "Tried dry; both tips stand equally high on the table";
  s.caution = glueCaution, s.print = "bench-card";
  const std::string place =
      (wing > 0 ? fmt::format("wing{}.", wing + 1) : "") + (panel > 0 ? fmt::format("panel{}.", panel + 1) : "");
  s.figures = {place + "join.block", place + "join.trim"};
  s.wing = wing, s.panel = panel, s.hand = hand;
  return s;
}

/// The wire of a surface's both halves.
Step wireStep(const TrueWing& w, const TruePanel& root, const SurfaceMade& made, std::vector<std::string> needs) {
  const int wing = root.design.id.wing;
  const std::string& name = root.design.surfaces[static_cast<std::size_t>(made.line.surface)].name;
  Step s;
  s.key =
      fmt::format("{}.joinWire{}", root.design.wingNumber + 1, numberIn(root.design.surfaces, made.line.surface) - 1);
  s.what = fmt::format("Bend the wire of the {}, let it into both halves", name);
  s.on = placeOfWork(w, wing, std::nullopt, std::nullopt), s.minutes = 25, s.needs = std::move(needs);
  s.look = "Laid flat both legs lie in one plane; dry, both halves rest in line";
  s.caution = "Hard wire springs: goggles, and cover the end that is cut off.", s.print = "plan";
  const std::string of =
      (wing > 0 ? fmt::format("wing{}.", wing + 1) : "") + fmt::format("surface.{}.", made.line.surface + 1);
  for (const char* figure : {"joinWire", "joinBends", "joinBend"}) s.figures.push_back(of + figure);
  s.wing = wing, s.panel = 0;
  s.puts = {{wing, 0, Hand::right, {PieceKind::joinWire, numberIn(root.design.surfaces, made.line.surface)}}};
  return s;
}

/// Every piece of those kinds on a wing, in the hands that have one.
std::vector<PlacedPiece> allOf(const TrueWing& w, int wing, const PieceQuery& query) {
  std::vector<PlacedPiece> out;
  for (const Hand hand : {Hand::right, Hand::left}) {
    if (hand == Hand::left && !w.wing(wing).mirrored) continue;
    for (const TruePanel& p : w.of(hand).wing(wing).panels)
      for (const Part& part : p.parts)
        if (query.covers(part.id) && !(part.shared && hand == Hand::left))
          out.push_back({wing, p.design.id.panel, hand, part.id});
  }
  return out;
}

Step postStep(const TrueWing& w, int number, std::vector<std::string> needs) {
  Step s;
  s.key = fmt::format("{}.posts", w.design.wings[static_cast<std::size_t>(number)].number + 1);
  s.what = "Cut the wing posts and fit them in the tubes", s.on = placeOfWork(w, number, std::nullopt, std::nullopt);
  s.minutes = 30, s.needs = std::move(needs);
  s.look = "Both posts square to the wing in both directions; the model hangs level before the rear post is fixed";
  s.puts = allOf(w, number, {{PieceKind::frontPost, PieceKind::rearPost}});
  s.wing = number;
  return s;
}

Step strutStep(const TrueWing& w, int number, const std::vector<Strut>& struts, std::vector<std::string> needs) {
  Step s;
  s.key = fmt::format("{}.struts", w.design.wings[static_cast<std::size_t>(number)].number + 1),
  s.what = "Make and fit the struts and wires";
  s.on = placeOfWork(w, number, std::nullopt, std::nullopt), s.minutes = 20 + 20 * static_cast<double>(struts.size());
  s.needs = std::move(needs);
  s.look = "Both hands equally long; the wing stands as it did on its blocks", s.caution = bladeCaution;
  for (std::size_t i = 0; i < struts.size(); ++i)
    s.figures.push_back((number > 0 ? fmt::format("wing{}.", number + 1) : "") + fmt::format("strut.{}.length", i + 1));
  s.puts = allOf(w, number, {{PieceKind::strut}});
  s.wing = number;
  return s;
}

} // namespace

std::string braceSteps(StepMaker& m, const std::string& before) {
  const PanelBrief& d = m.panel.design;
  const auto count = [](std::size_t n) { return n == 1 ? std::string("brace") : fmt::format("{} braces", n); };
  std::string last = before;
  if (const std::size_t n = m.panel.join.braces.size(); n > 0) {
    const bool mirrored = d.innermost(), dry = mirrored && m.isLeft(); // at the centre one serves both halves
    const StepMore glued{.with = "slow epoxy",
                         .cure = m.epoxyHours(),
                         .look = "Tried dry first, in both; its bend by its gauge",
                         .caution = glueCaution,
                         .print = "braces",
                         .puts = PieceQuery{{PieceKind::brace}}};
    last = dry ? m.add("brace", fmt::format("Try the {} of the join dry: each slides in from the root", count(n)),
                       10.0 * static_cast<double>(n), {last}, {.look = "It still slides in when the sheet is on"})
               : m.add("brace", fmt::format("Cut the {} of the join, try dry, glue to this half", count(n)),
                       25.0 * static_cast<double>(n), {last}, glued);
  }
  if (const std::size_t n = d.beyond ? d.beyond->braces.size() : 0; n > 0)
    last = m.add("braceTip", fmt::format("Try the {} of the join at the tip dry: each slides in from there", count(n)),
                 10.0 * static_cast<double>(n), {last}, {.look = "It still slides in when the sheet is on"});
  if (m.panel.joiner)
    last = m.add("socket", "Cut the joiner, glue the joiner tube into the ribs", 30, {last},
                 {.with = "slow epoxy",
                  .cure = m.epoxyHours(),
                  .look = "Joiner slides in and out without force; tube end closed against glue",
                  .caution = glueCaution,
                  .puts = PieceQuery{{PieceKind::joiner, PieceKind::joinerFacing}},
                  .anyway = true});
  return last;
}

std::vector<std::string> wingSteps(const TrueWing& w, const WholeWing& wing, double celsius, StepList& out) {
  const int number = wing.panels.front().design.id.wing, panels = static_cast<int>(wing.panels.size());
  const bool mirrored = wing.mirrored, flat = w.design.bench.cover == CoverWhen::flat;
  std::vector<Hand> hands{Hand::right};
  if (mirrored) hands.push_back(Hand::left);
  const auto panelOf = [&](int panel, Hand hand) -> const TruePanel& { return w.of(hand).at({number, panel}); };
  std::map<std::pair<int, Hand>, std::string> built;
  std::map<std::pair<int, Hand>, StepMaker> makers;
  for (int k = 0; k < panels; ++k)
    for (const Hand hand : hands) {
      StepMaker& maker = makers.try_emplace({k, hand}, w, panelOf(k, hand), hand, celsius, out).first->second;
      std::string& last = built[{k, hand}];
      last = maker.panel.sheet ? sheetPanelSteps(maker) : maker.panel.foam ? foamSteps(maker) : frameSteps(maker);
      if (flat) last = coverSteps(maker, last);
    }
  std::map<Hand, std::string> joined; // each half as one piece
  for (const Hand hand : hands) {
    const std::optional<Hand> of = mirrored ? std::optional(hand) : std::nullopt;
    joined[hand] = built[{0, hand}];
    for (int k = 1; k < panels; ++k) {
      const std::string key = joinKey(panelOf(k, hand), of);
      out.put(joinStep(key, w, panelOf(k, hand), of, {joined[hand], built[{k, hand}]}, celsius));
      joined[hand] = key;
    }
  }
  const TruePanel& root = wing.panels.front();
  if (mirrored && !root.joiner) { // else it is carried as two halves
    const std::string key = centreKey(root);
    out.put(joinStep(key, w, root, std::nullopt, {joined[Hand::right], joined[Hand::left]}, celsius));
    joined[Hand::right] = joined[Hand::left] = key;
  }
  std::vector<std::string> wires(root.design.surfaces.size());
  for (const SurfaceMade& made : root.surfaces)
    if (made.wire) {
      Step wire = wireStep(w, root, made, {joined[Hand::right], joined[Hand::left]});
      wires[static_cast<std::size_t>(made.line.surface)] = wire.key;
      out.put(std::move(wire));
    }
  std::vector<std::string> last;
  for (int k = 0; k < panels; ++k)
    for (const Hand hand : hands) {
      StepMaker& maker = makers.at({k, hand});
      last.push_back(hangSteps(maker, finishSteps(maker, joined[hand], flat), wires));
    }
  const Wing& decided = w.design.wings[static_cast<std::size_t>(number)];
  const auto then = [&](Step step) {
    last = {step.key};
    out.put(std::move(step));
  };
  if (!decided.struts.empty()) then(strutStep(w, number, decided.struts, last));
  if (decided.posts.fitted && mirrored) then(postStep(w, number, last));
  return last;
}

} // namespace eup
