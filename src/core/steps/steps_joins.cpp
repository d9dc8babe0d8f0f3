// Panels become halves, halves a wing: in which order, and what is done to it when it is one.
#include "core/design/lasting.h"
#include "core/report/told.h"
#include "core/steps/order.h"
#include "core/steps/step_maker.h"
#include "core/wing/run_over.h"
#include <cmath>
#include <fmt/format.h>
#include <map>

namespace eup {
namespace {

std::string bracesInWords(std::size_t n) {
  return n == 1 ? std::string("brace") : fmt::format("{} braces", n);
}

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

/// Strips that pass a join are nicked and set to its angle; then come its braces. `m`: of the panel whose root is
/// there, in both hands at the centre. Gives back its last step.
std::string bendSteps(const TrueWing& w, StepMaker& m, std::optional<Hand> hand, std::vector<std::string> needs,
                      StepList& out) {
  const PanelBrief& d = m.panel.design;
  const bool centre = d.innermost();
  Step s = joinStep(centre ? centreKey(m.panel) : joinKey(m.panel, hand), w, m.panel, hand, std::move(needs), 20);
  s.what = centre ? "Nick the strips at the middle, set both halves on their blocks, glue the nicks"
                  : fmt::format("Nick the strips where panel {} begins, set it on its block, glue the nicks",
                                d.id.panel + 1);
  s.with = m.glue(), s.cureHours = m.setHours();
  s.look = centre ? "What is left of each strip bends and does not break; both tips stand equally high"
                  : "What is left of each strip bends and does not break; the panel stands on its block";
  std::erase_if(s.figures, [](const std::string& key) { return key.ends_with("join.trim"); });
  const std::string place = (d.id.wing > 0 ? fmt::format("wing{}.", d.id.wing + 1) : "") +
                            (centre ? "" : fmt::format("panel{}.", d.id.panel + 1));
  for (const Figure& f : figuresOf(w, Stage::joins))
    if (f.key.starts_with(place + "crack.")) s.figures.push_back(f.key);
  double strips = 0;
  for (const Part& part : m.panel.parts)
    if (runsOverRoot(part)) {
      const Part::Told told = toldFor(m.panel, part);
      s.works.push_back({d.id.wing, told.panel, hand.value_or(Hand::right), told.as}), ++strips;
    }
  s.minutes = 10 + 5 * strips;
  const std::string bent = s.key;
  out.put(std::move(s));
  const std::size_t n = m.panel.join.braces.size();
  if (n == 0) return bent;
  return m.add("brace", fmt::format("Cut the {} of the join, try dry, glue across it", bracesInWords(n)),
               25.0 * static_cast<double>(n), {bent},
               {.with = "slow epoxy",
                .cure = m.epoxyHours(),
                .look = "Tried dry first; its bend by its gauge",
                .caution = glueCaution,
                .print = "braces",
                .puts = PieceQuery{{PieceKind::brace}}});
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
        if (query.covers(part.id) && part.toldWith(hand)) out.push_back({wing, p.design.id.panel, hand, part.id});
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
  std::string last = before;
  const std::size_t n = m.panel.join.braces.size();
  if (n > 0 && !passesRoot(m.panel)) {                                 // else it goes in when the strips are bent there
    const bool mirrored = d.innermost(), dry = mirrored && m.isLeft(); // at the centre one serves both halves
    const StepMore glued{.with = "slow epoxy",
                         .cure = m.epoxyHours(),
                         .look = "Tried dry first, in both; its bend by its gauge",
                         .caution = glueCaution,
                         .print = "braces",
                         .puts = PieceQuery{{PieceKind::brace}}};
    last =
        dry ? m.add("brace", fmt::format("Try the {} of the join dry: each slides in from the root", bracesInWords(n)),
                    10.0 * static_cast<double>(n), {last}, {.look = "It still slides in when the sheet is on"})
            : m.add("brace", fmt::format("Cut the {} of the join, try dry, glue to this half", bracesInWords(n)),
                    25.0 * static_cast<double>(n), {last}, glued);
  }
  if (const std::size_t beyond = d.beyond ? d.beyond->braces.size() : 0; beyond > 0 && !passesTip(m.panel))
    last = m.add("braceTip",
                 fmt::format("Try the {} of the join at the tip dry: each slides in from there", bracesInWords(beyond)),
                 10.0 * static_cast<double>(beyond), {last}, {.look = "It still slides in when the sheet is on"});
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
  const TruePanel& root = wing.panels.front();
  const auto cracked = [&](int k) {
    return passesRoot(wing.panels[static_cast<std::size_t>(k)]) &&
           wing.panels[static_cast<std::size_t>(k)].design.join.sparsThere == SparsThere::cracked;
  };
  const auto of = [&](Hand hand) { return mirrored ? std::optional(hand) : std::nullopt; };
  // Strips that are cracked at a panel's root, in one hand or, at the centre, in both.
  const auto bend = [&](int k, Hand hand, std::vector<std::string> needs) {
    StepMaker maker = k == 0 ? StepMaker(w, {&panelOf(k, hand)}, std::nullopt, celsius, out)
                             : StepMaker(w, panelOf(k, hand), hand, celsius, out);
    return bendSteps(w, maker, k == 0 ? std::nullopt : of(hand), std::move(needs), out);
  };
  std::map<std::pair<int, Hand>, std::string> off; // the board, and bent
  for (int k = 0; k < panels; ++k) {
    if (panelOf(k, Hand::right).design.built != Built::ribs) continue;
    const BuiltAsOne with = builtWith(wing, k);
    if (with.inner != k) continue;
    for (const Hand hand : hands) {
      if (with.bothHands && hand == Hand::left) continue;
      std::vector<const TruePanel*> together;
      for (int in = with.inner; in <= with.outer; ++in) together.push_back(&panelOf(in, hand));
      StepMaker board(w, together, with.bothHands ? std::nullopt : std::optional(hand), celsius, out);
      std::string last = boardSteps(board);
      if (!flat) {
        if (with.bothHands && cracked(0)) last = bend(0, hand, {last});
        for (const Hand side : with.bothHands ? hands : std::vector<Hand>{hand})
          for (int in = with.inner + 1; in <= with.outer; ++in)
            if (cracked(in)) last = bend(in, side, {last});
      }
      for (const Hand side : with.bothHands ? hands : std::vector<Hand>{hand})
        for (int in = with.inner; in <= with.outer; ++in) off[{in, side}] = last;
    }
  }
  std::map<std::pair<int, Hand>, std::string> built;
  std::map<std::pair<int, Hand>, StepMaker> makers;
  for (int k = 0; k < panels; ++k)
    for (const Hand hand : hands) {
      StepMaker& maker = makers.try_emplace({k, hand}, w, panelOf(k, hand), hand, celsius, out).first->second;
      std::string& last = built[{k, hand}];
      last = maker.panel.sheet  ? sheetPanelSteps(maker)
             : maker.panel.foam ? foamSteps(maker)
                                : frameSteps(maker, off.at({k, hand}));
      if (flat) last = coverSteps(maker, last);
    }
  // What is one piece already is bent now, where it was covered flat; else it waits for nothing but its parts.
  const auto asOne = [&](int k, Hand hand, std::vector<std::string> needs) {
    if (flat && cracked(k)) return bend(k, hand, std::move(needs));
    const std::string key = stepPrefix(panelOf(k, hand).design.lasting(), of(hand)) + "asOne";
    out.leave(key, std::move(needs));
    return key;
  };
  std::map<Hand, std::string> joined; // each half as one piece
  for (const Hand hand : hands) {
    joined[hand] = built[{0, hand}];
    for (int k = 1; k < panels; ++k) {
      const std::vector<std::string> needs{joined[hand], built[{k, hand}]};
      if (passesRoot(wing.panels[static_cast<std::size_t>(k)])) {
        joined[hand] = asOne(k, hand, needs);
        continue;
      }
      const std::string key = joinKey(panelOf(k, hand), of(hand));
      out.put(joinStep(key, w, panelOf(k, hand), of(hand), needs, celsius));
      joined[hand] = key;
    }
  }
  if (mirrored && !root.joiner) { // else it is carried as two halves
    const std::vector<std::string> needs{joined[Hand::right], joined[Hand::left]};
    if (passesRoot(root)) {
      joined[Hand::right] = joined[Hand::left] = asOne(0, Hand::right, needs);
    } else {
      const std::string key = centreKey(root);
      out.put(joinStep(key, w, root, std::nullopt, needs, celsius));
      joined[Hand::right] = joined[Hand::left] = key;
    }
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
