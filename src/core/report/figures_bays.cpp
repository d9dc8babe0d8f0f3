// Figures of a panel's bays: the weakest of all, and of every check of every spar the least reserve.
#include "core/report/report_parts.h"
#include "core/strength/cap_on_core.h"
#include <algorithm>
#include <fmt/format.h>
#include <map>

namespace eup {
namespace {

struct Least {
  const SparBay* bay = nullptr;
  const BayCheck* check = nullptr;
  void look(const SparBay& b, const BayCheck& c) {
    if (!check || c.reserve() < check->reserve()) bay = &b, check = &c;
  }
};

std::string between(const TruePanel& w, const SparBay& bay) {
  return fmt::format("{} to {}", w.frame.ribs[static_cast<std::size_t>(bay.bay - 1)].name(),
                     w.frame.ribs[static_cast<std::size_t>(bay.bay)].name());
}

/// Of every kind of check the one with least in reserve, of one spar's bays or of all.
using LeastOfKinds = std::map<BayCheck::What, Least>;
LeastOfKinds leastOf(const TruePanel& w, std::optional<int> spar = {}) {
  LeastOfKinds least;
  for (const SparBay& b : w.strength.bays)
    for (const BayCheck& c : b.checks)
      if (!spar || b.spar == *spar) least[c.what].look(b, c);
  return least;
}

/// Writes the figure of a check, where it was made.
struct Teller {
  const TruePanel& w;
  FigureList& out;
  LeastOfKinds least;
  void add(BayCheck::What what, std::string key, std::string label, std::string rule, std::string source,
           std::vector<std::string> decisions, bool bench = false) const {
    const auto found = least.find(what);
    if (found == least.end()) return;
    const auto& [bay, check] = found->second;
    const double length = (bay->to - bay->from) * w.frame.spars[static_cast<std::size_t>(bay->spar)].stretch;
    out.add({std::move(key), std::move(label), check->reserve(), Quantity::ratio, Stage::spars,
             fmt::format("{}, where it is least; {}", between(w, *bay), wordsOf(check->load)), std::move(rule),
             fmt::format("{:.3g} MPa ÷ {:.3g} MPa = {:.2f}", check->strength, check->stress, check->reserve()) +
                 (check->onCore ? std::string() : fmt::format(", over {} from rib to rib", out.len(length))),
             std::move(source), std::move(decisions), bench});
  }
};

using Check = BayCheck::What;

void sparBayFigures(const TruePanel& w, FigureList& out) {
  for (const SparLine& line : w.frame.spars) {
    const Teller tell{w, out, leastOf(w, line.index)};
    const Spar& spar = w.design.spars[static_cast<std::size_t>(line.index)];
    const std::string &name = spar.name, path = fmt::format("spars.{}", line.index);
    const auto keyOf = [&](const char* what) { return fmt::format("spar.{}.{}", line.index + 1, what); };
    const bool onCore = coreUnder(w.design, spar) != nullptr;
    tell.add(Check::buckling, keyOf("buckling"), fmt::format("Reserve against buckling, {}", name),
             onCore
                 ? "½ ∛(E E_c G_c) ÷ stress: the pressed cap wrinkles on its core"
                 : "π² E r² ÷ l² of the pressed cap, hinged at the ribs, ÷ stress; a web holds it upright, sheet on it "
                   "along the chord",
             onCore ? "Hoff and Mautner, Journal of the Aeronautical Sciences (1945), from memory"
                    : "Euler's strut (1744); glued ribs hold better than hinges",
             {onCore ? coreDecision(w.design, spar, path) : path + ".webs", path + ".top.width", path + ".top.depth",
              "sheeting.top", "flying.loadFactor"},
             true);
    tell.add(Check::web, keyOf("web"), fmt::format("Reserve of the webs, {}", name),
             "shear strength ÷ ((V + M h′ ÷ h) ÷ (h t))",
             "shear of two caps that close in; strength of the materials' table",
             {path + ".webThickness", path + ".webMaterial", "flying.loadFactor"}, true);
    tell.add(
        Check::glue, keyOf("webGlue"), fmt::format("Reserve of the webs' glue, {}", name),
        "shear strength of the weakest of woods and glue ÷ ((V + M h′ ÷ h) ÷ (h t)), the web's edge glued on the cap",
        "the wood beside a good glue line mostly fails first: common practice; strengths of the materials' tables",
        {path + ".webThickness", path + ".webMaterial", path + ".top.material", "glue", "flying.loadFactor"});
    tell.add(Check::webBuckling, keyOf("webBuckling"), fmt::format("Reserve against buckling of the webs, {}", name),
             "4 k (D₁ D₂³)^¼ ÷ (w² t) ÷ shear, D₂ across the web's run and D₁ along it, w between the caps",
             "Seydel, NACA TM 705 (1933), plate hinged at its edges, from memory",
             {path + ".webThickness", path + ".webGrain", path + ".webMaterial"});
  }
}

/// Of what is bent and twisted with the spars.
void skinBayFigures(const TruePanel& w, FigureList& out) {
  const Teller tell{w, out, leastOf(w)};
  const std::string depth = "spars.0.top.depth";
  const char* strip = "a strip bends as the wing does: bending theory of beams; strength of the materials' table";
  tell.add(Check::leadingEdge, "edge.leading", "Reserve of the leading edge",
           "strength ÷ (E × bend × distance from the spar's axis)", strip,
           {"leadingEdge.material", "leadingEdge.width", depth});
  tell.add(Check::trailingEdge, "edge.trailing", "Reserve of the trailing edge",
           "strength ÷ (E × bend × distance from the spar's axis)", strip,
           {"trailingEdge.material", "trailingEdge.width", depth});
  tell.add(Check::sheet, "sheet.bending", "Reserve of the sheet that carries",
           "strength ÷ (M E z ÷ EI), grain along the span", "transformed section of caps and sheet",
           {"sheeting.material", "sheeting.thickness", "sheeting.carries"});
  if (!w.foam) // its skins wrinkle on their core: told with the foam
    tell.add(Check::sheetBuckling, "sheet.buckling", "Reserve against buckling of the sheet",
             "π² E t² ÷ (12 l²) from rib to rib, or 0.3 √(E E_across) t ÷ r where its bend gives more, ÷ stress",
             "wide column; half of the classic cylinder, common practice", {"sheeting.thickness", "ribs.count"});
  const char* nose = "q = T ÷ 2A (Bredt, 1896), the closed nose alone; torque of the sections' own moments in a dive";
  tell.add(Check::sheetTwist, "sheet.twist", "Reserve of the nose's sheet against twist",
           "shear strength ÷ (T ÷ (2 A t))", nose, {"flying.diveSpeed", "sheeting.thickness", "sheeting.material"});
  tell.add(Check::sheetTwistBuckling, "sheet.twistBuckling", "Reserve against buckling of the twisted nose",
           "4 k (D₁ D₂³)^¼ ÷ (w² t) ÷ (T ÷ (2 A t)), each face flat from nose to web between ribs",
           "Seydel, NACA TM 705 (1933), plate hinged at its edges, from memory; a bent one holds more",
           {"flying.diveSpeed", "sheeting.thickness", "ribs.count"});
}

} // namespace

void bayFigures(const TruePanel& w, FigureList& out) {
  sparBayFigures(w, out);
  skinBayFigures(w, out);
  Least all;
  for (const SparBay& b : w.strength.bays)
    for (const BayCheck& c : b.checks) all.look(b, c);
  if (!all.check) return;
  const double factor = w.design.factors().pull;
  out.add({"bay.weakest",
           "Weakest bay, reserve",
           all.check->reserve(),
           Quantity::ratio,
           Stage::spars,
           fmt::format("{}, {}: {}", between(w, *all.bay), w.design.spars[static_cast<std::size_t>(all.bay->spar)].name,
                       wordsOf(*all.check)),
           "least of all checks in all bays: where it breaks if the load goes up",
           all.check->load == LoadCase::What::pull
               ? fmt::format("at a load factor of {:.1f} × {:.2f} = {:.1f}", factor, all.check->reserve(),
                             factor * all.check->reserve())
               : fmt::format("{}, {:.2f} times that load", wordsOf(all.check->load), all.check->reserve()),
           "the checks' own sources",
           {"flying.loadFactor", "flying.mass"},
           true});
}

} // namespace eup
