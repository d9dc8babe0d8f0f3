// Figures of a panel's bays: the weakest, and for every spar what its caps and webs have in reserve against buckling
// and shear.
#include "core/design/flying_kinds.h"
#include "core/work/report_parts.h"
#include <algorithm>
#include <fmt/format.h>

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
  return fmt::format("{} to {}", w.ribs[static_cast<std::size_t>(bay.bay - 1)].name(),
                     w.ribs[static_cast<std::size_t>(bay.bay)].name());
}

} // namespace

void bayFigures(const TruePanel& w, FigureList& out) {
  Least all;
  for (const SparLine& line : w.spars) {
    Least buckling, web, webBuckling, glue, leading, trailing, sheet, sheetBuckling;
    for (const SparBay& b : w.bays) {
      if (b.spar != line.index) continue;
      for (const BayCheck& c : b.checks) {
        all.look(b, c);
        if (c.what == BayCheck::What::buckling) buckling.look(b, c);
        if (c.what == BayCheck::What::web) web.look(b, c);
        if (c.what == BayCheck::What::webBuckling) webBuckling.look(b, c);
        if (c.what == BayCheck::What::glue) glue.look(b, c);
        if (c.what == BayCheck::What::leadingEdge) leading.look(b, c);
        if (c.what == BayCheck::What::trailingEdge) trailing.look(b, c);
        if (c.what == BayCheck::What::sheet) sheet.look(b, c);
        if (c.what == BayCheck::What::sheetBuckling) sheetBuckling.look(b, c);
      }
    }
    const std::string& name = w.design.spars[static_cast<std::size_t>(line.index)].name;
    const Spar& spar = w.design.spars[static_cast<std::size_t>(line.index)];
    const std::string path = fmt::format("spars.{}", line.index);
    const bool onCore = spar.webs == Webs::core;
    /// One whose working is no more than strength ÷ stress.
    const auto add = [&](const Least& least, const std::string& key, const std::string& label, std::string rule,
                         std::string source, std::vector<std::string> decisions) {
      if (!least.check) return;
      out.add({key, label, least.check->reserve(), Quantity::ratio, Stage::spars,
               fmt::format("{}, where it is least; {}", between(w, *least.bay), wordsOf(least.check->load)),
               std::move(rule),
               fmt::format("{:.3g} MPa ÷ {:.3g} MPa = {:.2f}", least.check->strength, least.check->stress,
                           least.check->reserve()),
               std::move(source), std::move(decisions)});
    };
    if (buckling.check)
      out.add({fmt::format("spar.{}.buckling", line.index + 1),
               fmt::format("Reserve against buckling, {}", name),
               buckling.check->reserve(),
               Quantity::ratio,
               Stage::spars,
               fmt::format("pressed cap, {}, where it is least", between(w, *buckling.bay)),
               onCore
                   ? "½ ∛(E E_c G_c) ÷ stress: it wrinkles on its core"
                   : "π² E r² ÷ l², hinged at the ribs, ÷ stress; a web holds it upright, sheet on it along the chord",
               fmt::format("{:.1f} MPa ÷ {:.1f} MPa = {:.2f}, over {} from rib to rib", buckling.check->strength,
                           buckling.check->stress, buckling.check->reserve(),
                           out.len((buckling.bay->to - buckling.bay->from) * line.stretch)),
               onCore ? "Hoff and Mautner, Journal of the Aeronautical Sciences (1945), from memory"
                      : "Euler's strut (1744); glued ribs hold better than hinges",
               {path + ".webs", path + ".top.width", path + ".top.depth", "sheeting.top", "flying.loadFactor"},
               true});
    if (web.check)
      out.add({fmt::format("spar.{}.web", line.index + 1),
               fmt::format("Reserve of the webs, {}", name),
               web.check->reserve(),
               Quantity::ratio,
               Stage::spars,
               fmt::format("{}, where it is least", between(w, *web.bay)),
               "shear strength ÷ ((V + M h′ ÷ h) ÷ (h t))",
               fmt::format("{:.2f} MPa ÷ {:.3f} MPa = {:.2f}", web.check->strength, web.check->stress,
                           web.check->reserve()),
               "shear of two caps that close in; strength of the materials' table",
               {path + ".webThickness", path + ".webMaterial", "flying.loadFactor"},
               true});
    if (glue.check)
      out.add(
          {fmt::format("spar.{}.webGlue", line.index + 1),
           fmt::format("Reserve of the webs' glue, {}", name),
           glue.check->reserve(),
           Quantity::ratio,
           Stage::spars,
           fmt::format("{}, where it is least; the web's edge on the cap", between(w, *glue.bay)),
           "shear strength of the weakest of woods and glue ÷ ((V + M h′ ÷ h) ÷ (h t)), glued over the web's thickness",
           fmt::format("{:.2f} MPa ÷ {:.3f} MPa = {:.2f}", glue.check->strength, glue.check->stress,
                       glue.check->reserve()),
           "the wood beside a good glue line mostly fails first: common practice; strengths of the materials' tables",
           {path + ".webThickness", path + ".webMaterial", path + ".top.material", "glue", "flying.loadFactor"}});
    add(webBuckling, fmt::format("spar.{}.webBuckling", line.index + 1),
        fmt::format("Reserve against buckling of the webs, {}", name),
        "4 k (D₁ D₂³)^¼ ÷ (w² t) ÷ shear, D₂ across the web's run and D₁ along it, w between the caps",
        "Seydel, NACA TM 705 (1933), plate hinged at its edges, from memory",
        {path + ".webThickness", path + ".webGrain", path + ".webMaterial"});
    const char* strip = "a strip bends as the wing does: bending theory of beams; strength of the materials' table";
    add(leading, "edge.leading", "Reserve of the leading edge", "strength ÷ (E × bend × distance from the spar's axis)",
        strip, {"leadingEdge.material", "leadingEdge.width", path + ".top.depth"});
    add(trailing, "edge.trailing", "Reserve of the trailing edge",
        "strength ÷ (E × bend × distance from the spar's axis)", strip,
        {"trailingEdge.material", "trailingEdge.width", path + ".top.depth"});
    add(sheet, "sheet.bending", "Reserve of the sheet that carries", "strength ÷ (M E z ÷ EI), grain along the span",
        "transformed section of caps and sheet", {"sheeting.material", "sheeting.thickness", "sheeting.carries"});
    add(sheetBuckling, "sheet.buckling", "Reserve against buckling of the sheet",
        "π² E t² ÷ (12 l²) from rib to rib, or 0.3 √(E E_across) t ÷ r where its bend gives more, ÷ stress",
        "wide column; half of the classic cylinder, common practice", {"sheeting.thickness", "ribs.count"});
  }
  if (!all.check) return;
  const double factor = factorsOf(w.design.flying).pull;
  out.add({"bay.weakest",
           "Weakest bay, reserve",
           all.check->reserve(),
           Quantity::ratio,
           Stage::spars,
           fmt::format("{}, {}: {}", between(w, *all.bay), w.design.spars[static_cast<std::size_t>(all.bay->spar)].name,
                       wordsOf(all.check->what)),
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
