// Figures of a panel's bays: the weakest, and for every spar what its caps and webs have in reserve against buckling
// and shear.
#include "core/design/flying_kinds.h"
#include "core/work/report_parts.h"
#include <algorithm>
#include <fmt/format.h>

namespace eup {
namespace {

const char* wordsOf(BayCheck::What what) {
  switch (what) {
  case BayCheck::What::compression:
    return "pressing of a cap";
  case BayCheck::What::tension:
    return "pulling of a cap";
  case BayCheck::What::buckling:
    return "buckling of a cap between ribs";
  case BayCheck::What::web:
    return "shear of a web";
  case BayCheck::What::glue:
    return "a web's glue line";
  }
  return "";
}

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
    Least buckling, web, glue;
    for (const SparBay& b : w.bays) {
      if (b.spar != line.index) continue;
      for (const BayCheck& c : b.checks) {
        all.look(b, c);
        if (c.what == BayCheck::What::buckling) buckling.look(b, c);
        if (c.what == BayCheck::What::web) web.look(b, c);
        if (c.what == BayCheck::What::glue) glue.look(b, c);
      }
    }
    const std::string& name = w.design.spars[static_cast<std::size_t>(line.index)].name;
    const std::string path = fmt::format("spars.{}", line.index);
    if (buckling.check)
      out.add({fmt::format("spar.{}.buckling", line.index + 1),
               fmt::format("Reserve against buckling, {}", name),
               buckling.check->reserve(),
               Quantity::ratio,
               Stage::spars,
               fmt::format("pressed cap, {}, where it is least", between(w, *buckling.bay)),
               "π² E r² ÷ l², hinged at the ribs, ÷ stress; a web holds it upright, sheet on it along the chord",
               fmt::format("{:.1f} MPa ÷ {:.1f} MPa = {:.2f}, over {} from rib to rib", buckling.check->strength,
                           buckling.check->stress, buckling.check->reserve(),
                           out.len((buckling.bay->to - buckling.bay->from) * line.stretch)),
               "Euler's strut (1744); glued ribs hold better than hinges",
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
      out.add({fmt::format("spar.{}.webGlue", line.index + 1),
               fmt::format("Reserve of the webs' glue, {}", name),
               glue.check->reserve(),
               Quantity::ratio,
               Stage::spars,
               fmt::format("{}, where it is least; the web's edge on the cap", between(w, *glue.bay)),
               "shear strength of the weaker wood ÷ ((V + M h′ ÷ h) ÷ (h t)), glued over the web's thickness",
               fmt::format("{:.2f} MPa ÷ {:.3f} MPa = {:.2f}", glue.check->strength, glue.check->stress,
                           glue.check->reserve()),
               "the wood beside a good glue line fails first: common practice; strength of the materials' table",
               {path + ".webThickness", path + ".webMaterial", path + ".top.material", "flying.loadFactor"}});
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
