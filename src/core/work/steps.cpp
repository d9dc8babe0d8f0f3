#include "core/work/steps.h"
#include "core/bench/progress.h"
#include "core/work/finder.h"
#include <algorithm>
#include <map>

namespace eup {
namespace {

constexpr const char* glueCaution = "Read the maker's sheet: air, gloves, no flame; instant glue wants eye protection.";
constexpr const char* dustCaution = "Dust of balsa, glass and carbon: wear a mask.";
constexpr const char* bladeCaution = "Blades and planes: cut away from yourself.";
constexpr const char* wireCaution =
    "Hot wire: isolated low-voltage direct current, never bare mains; fumes out; it burns; "
    "never leave it alone.";

/// What a step has beside its work and its needs.
struct More {
  std::string with{};
  double cure = 0; ///< hours
  bool attended = false;
  std::string look{}, caution{}, print{};
  std::vector<std::string> figures{};
};

/// Collects the steps of one panel in one hand.
class PanelSteps {
public:
  PanelSteps(const TruePanel& panel, Hand of, bool mirrored, double celsius, std::vector<Step>& to)
      : w(panel), hand(of), warm(celsius), out(to),
        prefix(stepPrefix(panel.design.id.wing, panel.design.id.panel, mirrored ? std::optional(of) : std::nullopt)),
        whose(mirrored ? fmt::format("{} hand", name(of)) : std::string("the fin")) {
    if (w.design.of > 1) whose = fmt::format("panel {}, {}", w.design.id.panel + 1, whose);
  }

  /// The last step that leaves it as one piece, to be joined.
  std::string build() {
    if (w.sheet) return sheet();
    return w.foam ? foam() : ribs();
  }
  /// Before it is joined.
  std::string coverFlat(const std::string& built) {
    covered = true;
    return cover(built);
  }
  std::string finish(const std::string& joined) {
    std::string last = add("sand", "Sand it to shape", 15 + share(40), {joined}, {.caution = dustCaution});
    if (w.design.cloth.any())
      for (const bool top : {false, true}) {
        if ((top ? w.design.cloth.top : w.design.cloth.bottom) == 0) continue;
        last = add(top ? "clothTop" : "clothBelow", top ? "Lay the cloth on top" : "Lay the cloth below", share(60),
                   {last}, {.with = "resin", .cure = w.design.cloth.hours, .caution = glueCaution});
      }
    if (!covered) last = cover(last);
    for (const SurfaceMade& made : w.surfaces) {
      const Surface& s = decided(made);
      if (s.whole()) continue;
      const std::string hung = add(fmt::format("hang{}", made.line.surface), "Hang the " + s.name,
                                   6.0 * static_cast<double>(made.hinges.size()), {last},
                                   {.cure = setHours(),
                                    .look = "It turns freely to its full travel both ways",
                                    .figures = {fmt::format("surface.{}.travelUp", made.line.surface + 1)}});
      if (made.driven)
        last = add(fmt::format("rod{}", made.line.surface), "Set the rod of the " + s.name, 15, {hung},
                   {.look = "Servo centred, surface at rest, nothing binds",
                    .figures = {fmt::format("surface.{}.rod", made.line.surface + 1)}});
      else
        last = hung;
    }
    return last;
  }

private:
  std::string add(const std::string& key, std::string what, double minutes, std::vector<std::string> needs,
                  const More& more = {}) {
    Step s;
    s.key = prefix + key, s.what = std::move(what), s.on = whose;
    s.with = more.with, s.minutes = std::max(std::round(minutes), 1.0), s.cureHours = more.cure,
    s.attended = more.attended;
    for (std::string& need : needs)
      if (!need.empty()) s.needs.push_back(std::move(need));
    s.look = more.look, s.caution = more.caution, s.print = more.print;
    const std::string place = w.design.id.panel > 0 ? fmt::format("panel{}.", w.design.id.panel + 1) : std::string();
    const std::string wing = w.design.id.wing > 0 ? fmt::format("wing{}.", w.design.id.wing + 1) : std::string();
    for (const std::string& f : more.figures) { // of one rib, ribs' numbers tell apart
      const bool ofRib = f.starts_with("setup.") || f.starts_with("rib.");
      s.figures.push_back(fmt::format("{}{}{}", wing, ofRib ? std::string() : place, f));
    }
    s.wing = w.design.id.wing, s.panel = w.design.id.panel;
    if (w.design.mirrored) s.hand = hand;
    out.push_back(std::move(s));
    return out.back().key;
  }
  std::string cover(const std::string& last) {
    if (w.design.stiffening.covering == uncovered) return last;
    return add("cover", "Cover it", share(75), {last},
               {.with = w.design.tables.covering(w.design.stiffening.covering).label,
                .look = "Have I really done everything? Gates, leads, blocks, hinges",
                .caution = "A hot iron burns."});
  }
  const Surface& decided(const SurfaceMade& made) const {
    return w.design.surfaces[static_cast<std::size_t>(made.line.surface)];
  }
  /// Minutes of what grows with a panel's size, told for one of 700 mm by 200.
  double share(double minutes) const {
    const double area = w.shape.loft.span() * (w.design.panel.rootChord + w.design.panel.tipChord) / 2;
    return minutes * std::clamp(area / 140000, 0.2, 4.0);
  }
  double setHours() const { return cureHours(w.design.tables.glue(w.design.glue), warm); }
  double epoxyHours() const { return cureHours(w.design.tables.glue("epoxy"), warm); }
  std::string glue() const { return w.design.tables.glue(w.design.glue).label; }
  double ribCount() const { return static_cast<double>(w.frame.ribs.size() + w.frame.riblets.size()); }

  std::string skins(const std::string& before) {
    std::string last = before;
    if (!w.holds.empty()) {
      std::string all;
      for (const Hold& h : w.holds) all += (all.empty() ? "" : "; ") + h.what;
      last = add("look", "Look before it is closed", 10, {last}, {.look = all});
    }
    for (const bool top : {false, true}) { // the underside first
      double minutes = 0;
      for (const Skin& skin : w.skins)
        if ((skin.face == Face::upper) == top) minutes += 20 + skin.area() / 4000;
      if (minutes > 0)
        last = add(top ? "skinTop" : "skinBelow", top ? "Lay the sheet on top" : "Lay the sheet below", minutes, {last},
                   {.with = glue(), .cure = setHours(), .caution = glueCaution, .print = "skins"});
    }
    return last;
  }

  std::string surfaces(std::string last) {
    for (const SurfaceMade& made : w.surfaces) {
      const Surface& s = decided(made);
      if (!s.partsRibs()) continue;
      const int k = made.line.surface;
      const std::string f = fmt::format("surface.{}.", k + 1);
      if (s.built == SurfaceBuilt::sawnOff)
        last = add(fmt::format("saw{}", k), fmt::format("Saw the {} off", s.name),
                   15 + 3.0 * static_cast<double>(made.ribs.size()), {last},
                   {.look = "Marks on every rib are this hand's", .caution = bladeCaution, .print = "surfaces"});
      std::vector<std::string> strips;
      for (const char* end : {".inner", ".outer"}) {
        if (made.facing.thickness > 0) strips.push_back(fmt::format("{}facing{}", f, end));
        if (made.wingFacing.thickness > 0) strips.push_back(fmt::format("{}wingFacing{}", f, end));
      }
      last = add(fmt::format("face{}", k), fmt::format("Glue the facings of the {}, hinge and horn blocks", s.name),
                 20 + 4.0 * static_cast<double>(made.hinges.size()), {last},
                 {.with = glue(), .cure = setHours(), .caution = glueCaution, .print = "surfaces", .figures = strips});
      last =
          add(fmt::format("bevel{}", k), fmt::format("Plane the facings and the bevels of the {}", s.name), 25, {last},
              {.look = "It clears at full travel",
               .caution = bladeCaution,
               .print = "surfaces",
               .figures = {fmt::format("{}innerBackBottom", f), fmt::format("{}outerBackBottom", f)}});
      if (made.driven)
        last = add(fmt::format("servo{}", k), fmt::format("Seat the servo of the {}", s.name), 30, {last},
                   {.look = "Centred before it is buried; its lead goes through every hole", .print = "surfaces"});
    }
    return last;
  }

  std::string ribs() {
    const std::string plan =
        add("plan", "Tape the plan to the board, film over it", 15, {},
            {.look = fmt::format("It is that of the {}; both check bars measure 100", whose), .print = "plan"});
    const std::string cut =
        add("cutRibs", "Cut the ribs", 3.5 * ribCount(), {},
            {.look = "Counted and numbered; a rib slides on without force", .caution = bladeCaution, .print = "ribs"});
    double strips = 2; // edges
    bool webs = false, caps = false;
    for (const Spar& s : w.design.spars) {
      strips += (s.top.fitted ? 1 : 0) + (s.bottom.fitted ? 1 : 0);
      webs = webs || (s.kind == SparKind::caps && s.webs != Webs::none), caps = caps || s.kind == SparKind::caps;
    }
    const std::string sorted =
        add("strips", "Pick the strips, cut them a little long", 4 * strips, {},
            {.look = "Heavier, stiffer wood inboard; left and right matched", .print = "cut-list"});
    const std::string low = add("lower", "Pin the lower spars on their packing", 8 + 3 * strips, {plan, sorted},
                                {.print = "setting-up", .figures = {fmt::format("setup.{}.spar1", w.design.firstRib)}});
    std::string last = add("ribsOn", "Glue the ribs, end ribs first, each upright",
                           2.2 * ribCount() * std::max(strips - 2, 1.0) / 2, {low, cut},
                           {.with = glue(),
                            .cure = setHours(),
                            .look = "Every rib in its place, square to the board",
                            .caution = glueCaution});
    const std::string edges =
        add("edges", "Glue leading and trailing edge", 2.0 * ribCount(), {last}, {.with = glue(), .cure = setHours()});
    std::string upper = last;
    if (caps)
      upper = add("upper", "Glue the upper caps", 1.2 * ribCount(), {last}, {.with = glue(), .cure = setHours()});
    if (webs)
      upper =
          add("webs", "Glue the webs, grain upright", 2.2 * ribCount(), {upper}, {.with = glue(), .cure = setHours()});
    if (w.design.stiffening.diagonals != Diagonals::none)
      upper = add("diagonals", "Glue the diagonals", 2.0 * ribCount(), {upper}, {.with = glue(), .cure = setHours()});
    last = add("off", "Take it off the board", 10, {edges, upper},
               {.look = "Sighted along: straight, washout as decided",
                .figures = {fmt::format("rib.{}.washout", w.frame.ribs.back().number)}});
    for (std::size_t k = 0; k < w.design.hardPoints.size(); ++k)
      last = add(fmt::format("hard{}", k),
                 fmt::format("Glue the block of the {}, its doublers", w.design.hardPoints[k].name), 12, {last},
                 {.with = "slow epoxy", .cure = epoxyHours(), .caution = glueCaution, .print = "surfaces"});
    last = surfaces(last);
    for (std::size_t k = 0; k < w.design.runs.size(); ++k)
      last = add(fmt::format("run{}", k), fmt::format("Draw the {} in", w.design.runs[k].name), 8, {last},
                 {.look = "Through every hole, its ends out", .figures = {fmt::format("run.{}.length", k + 1)}});
    last = skins(last);
    if (w.design.capStrips.top || w.design.capStrips.bottom)
      last = add("capStrips", "Glue the cap strips", 2.4 * ribCount(), {last}, {.with = glue(), .cure = setHours()});
    if (w.tip)
      last = add("tip", "Build the tip on", share(45), {last}, {.with = glue(), .cure = setHours(), .print = "ribs"});
    return last;
  }

  std::string sheet() {
    const std::string cut = add("blank", "Cut the blank", share(25), {}, {.caution = bladeCaution, .print = "skins"});
    std::string last = add("shape", "Carve and sand it to its section", share(80), {cut},
                           {.look = "The gauges fit", .caution = dustCaution, .print = "gauges"});
    return surfaces(last);
  }

  std::string foam() {
    const std::string templates = add("templates", "Saw the templates, smooth their edges", 35, {}, {.print = "foam"});
    const std::string blocks = add("blocks", "Saw the blocks square", 20, {}, {.figures = {"foam.1.blockLength"}});
    std::string last =
        add("wire", "Cut the cores", 15.0 * static_cast<double>(w.foam->cores.size()), {templates, blocks},
            {.with = "hot wire",
             .attended = true,
             .look = "Both beds kept, cores numbered",
             .caution = wireCaution,
             .print = "foam"});
    if (!w.design.spars.empty())
      last = add("grooves", "Cut the grooves, glue the caps in", share(40), {last},
                 {.with = "slow epoxy",
                  .cure = epoxyHours(),
                  .look = "A long rule finds no high spot",
                  .caution = glueCaution});
    for (std::size_t k = 0; k < w.design.inCore.size(); ++k)
      last = add(fmt::format("in{}", k), fmt::format("Set the {} in", w.design.inCore[k].name), 10, {last});
    last = skins(last);
    last = add("edges", "Glue leading and trailing edge", share(25), {last}, {.with = glue(), .cure = setHours()});
    return surfaces(last);
  }

  const TruePanel& w;
  Hand hand;
  double warm;
  std::vector<Step>& out;
  std::string prefix, whose;
  bool covered = false;
};

Step joinStep(const std::string& key, const TruePanel& p, std::optional<Hand> hand, std::vector<std::string> needs,
              double celsius) {
  const int wing = p.design.id.wing, panel = p.design.id.panel;
  Step s;
  s.key = key;
  s.what = panel > 0 ? fmt::format("Join panel {} to panel {}", panel + 1, panel)
           : p.design.join.propping == Propping::oneFlat
               ? std::string("Join both halves: one flat on the board, the other on its block")
               : std::string("Join both halves, a block under either tip");
  s.on = hand ? fmt::format("{} hand", name(*hand)) : std::string("both hands");
  s.with = "slow epoxy", s.minutes = 25, s.cureHours = cureHours(p.design.tables.glue("epoxy"), celsius);
  s.needs = std::move(needs);
  s.look = "Tried dry; both tips stand equally high on the table";
  s.caution = glueCaution, s.print = "bench-card";
  const std::string place =
      (wing > 0 ? fmt::format("wing{}.", wing + 1) : "") + (panel > 0 ? fmt::format("panel{}.", panel + 1) : "");
  s.figures = {place + "join.block", place + "join.trim"};
  s.wing = wing, s.panel = panel, s.hand = hand;
  return s;
}

/// Of one wing. Gives back its last steps.
std::vector<std::string> wingSteps(const TrueWing& w, const WholeWing& wing, double celsius, std::vector<Step>& out) {
  const int number = wing.panels.front().design.id.wing;
  const bool mirrored = wing.mirrored;
  std::map<std::pair<int, Hand>, std::string> built;
  std::vector<Hand> hands{Hand::right};
  if (mirrored) hands.push_back(Hand::left);
  const auto panelOf = [&](int panel, Hand hand) -> const TruePanel& { return w.of(hand).at({number, panel}); };
  const int panels = static_cast<int>(wing.panels.size());
  std::map<std::pair<int, Hand>, PanelSteps> makers;
  for (int k = 0; k < panels; ++k)
    for (const Hand hand : hands) {
      auto& maker = makers.try_emplace({k, hand}, panelOf(k, hand), hand, mirrored, celsius, out).first->second;
      built[{k, hand}] = maker.build();
      if (w.design.bench.cover == CoverWhen::flat) built[{k, hand}] = maker.coverFlat(built[{k, hand}]);
    }
  std::map<Hand, std::string> half; // each as one piece
  for (const Hand hand : hands) {
    half[hand] = built[{0, hand}];
    for (int k = 1; k < panels; ++k) {
      out.push_back(joinStep(stepPrefix(number, k, mirrored ? std::optional(hand) : std::nullopt) + "join",
                             panelOf(k, hand), mirrored ? std::optional(hand) : std::nullopt,
                             {half[hand], built[{k, hand}]}, celsius));
      half[hand] = out.back().key;
    }
  }
  std::vector<std::string> last;
  const TruePanel& root = wing.panels.front();
  const bool apart = root.joiner.has_value(); // carried as two halves
  std::map<Hand, std::string> joined = half;
  if (mirrored && !apart) {
    out.push_back(joinStep(fmt::format("{}.centre", number + 1), root, std::nullopt,
                           {half[Hand::right], half[Hand::left]}, celsius));
    joined[Hand::right] = joined[Hand::left] = out.back().key;
  }
  for (int k = 0; k < panels; ++k)
    for (const Hand hand : hands) last.push_back(makers.at({k, hand}).finish(joined[hand]));
  return last;
}

} // namespace

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
  for (std::size_t i = 0; i < plan.own.size(); ++i) {
    const OwnStep& own = plan.own[i];
    Step s;
    s.key = fmt::format("own.{}", i + 1), s.what = own.name, s.on = "my own", s.with = own.with, s.look = own.look;
    s.minutes = own.minutes, s.cureHours = own.cure;
    const auto before = at(own.after);
    if (before != steps.end()) s.wing = before->wing, s.panel = before->panel, s.hand = before->hand, s.on = before->on;
    steps.insert(before == steps.end() ? steps.begin() : before + 1, s);
    tryNeed(s.key, own.after);
    tryNeed(own.before, s.key);
  }
  for (const OwnNeed& n : plan.needs) tryNeed(n.step, n.needs);
}

} // namespace

std::vector<Step> stepsOf(const TrueWing& w, std::optional<double> warm) {
  const double celsius = warm.value_or(w.design.bench.celsius);
  std::vector<Step> out;
  std::vector<std::string> last;
  for (const WholeWing& wing : w.wings)
    for (std::string& key : wingSteps(w, wing, celsius, out)) last.push_back(std::move(key));
  Step weigh;
  weigh.key = "balance", weigh.what = "Weigh and balance it", weigh.on = "the model", weigh.minutes = 20,
  weigh.needs = std::move(last);
  weigh.look = "Left against right; where it hangs level; ballast fast";
  weigh.caution = "First flights: clear space; keep to the local rules for model flying.";
  for (const char* key : {"balance.wanted", "balance.ballast"})
    if (w.figure(key)) weigh.figures.emplace_back(key);
  out.push_back(std::move(weigh));
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
