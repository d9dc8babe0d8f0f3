// The strength card: a panel's loads, what its spars have in reserve bay by bay, what they are of, and the cautions.
#include "core/drawing/wing_drawings.h"
#include "core/measure/figure.h"
#include "core/measure/length_text.h"
#include "core/strength/panel_strength.h"
#include <algorithm>
#include <fmt/format.h>
#include <set>

namespace eup {
namespace {

constexpr double wide = 180, row = 4.6; // mm: fits a page upright

/// Blocks that are printed under each other, none of them torn.
struct Page {
  std::vector<Drawing> blocks;
  Drawing& fresh() { return blocks.emplace_back(); }
  void text(const std::string& words, double height) { fresh().write({0, 0}, words, height); }
  /// A long text in lines.
  void paragraph(const std::string& words, double height) {
    Drawing& d = fresh();
    double y = 0;
    std::string line;
    for (std::size_t from = 0; from < words.size();) {
      const std::size_t end = std::min(words.find(' ', from), words.size());
      const std::string before = line;
      if (!line.empty()) line += ' ';
      line.append(words, from, end - from);
      if (!before.empty() && textWidth(line, height) > wide) {
        d.write({0, y}, before, height);
        y -= height + 1;
        line.erase(0, before.size() + 1);
      }
      from = end + 1;
    }
    if (!line.empty()) d.write({0, y}, line, height);
  }
};

/// What the spar's bays have in reserve, as steps over the span; lines at 1 and at what is usual.
void drawReserves(const TruePanel& w, int spar, Page& page) {
  constexpr double high = 24, most = 4, left = 12;
  const double span = w.shape.loft.span(), across = (wide - left) / span, base = -high;
  Drawing& d = page.fresh();
  const auto at = [&](double t, double reserve) {
    return Point(left + t * across, base + std::min(reserve, most) / most * high);
  };
  d.line(Layer::text, at(0, 0), at(span, 0));
  for (const double mark : {1.0, usualReserve, most}) {
    for (double x = 0; x < wide - left; x += 4) // broken lines
      d.line(Layer::text, {left + x, at(0, mark).y()}, {left + std::min(x + 2, wide - left), at(0, mark).y()});
    d.write({left - 1, at(0, mark).y() - 1}, mark == most ? "4 +" : fmt::format("{}", mark), 2.4, Anchor::right);
  }
  double before = 0;
  for (const SparBay& bay : w.strength.bays) {
    const BayCheck* weakest = bay.spar == spar ? bay.weakest() : nullptr;
    if (!weakest) continue;
    const double r = weakest->reserve();
    d.line(Layer::mark, at(bay.from, before), at(bay.from, r));
    d.line(Layer::mark, at(bay.from, r), at(bay.to, r));
    before = r;
  }
  for (const Rib& rib : w.frame.ribs)
    if (w.frame.ribs.size() <= 24 || rib.number % 2 == 1)
      d.write({at(rib.t(), 0).x(), base - 3.2}, rib.name(), 2, Anchor::middle);
}

/// A table in pieces of a few bays, each under the table's head.
void drawBays(const TruePanel& w, int spar, Page& page) {
  const double columns[] = {0, 26, 96, 122, 144, 158};
  constexpr int together = 12;
  Drawing* d = nullptr;
  double y = 0;
  int rows = 0;
  for (const SparBay& bay : w.strength.bays) {
    const BayCheck* c = bay.spar == spar ? bay.weakest() : nullptr;
    if (!c) continue;
    if (rows++ % together == 0) {
      d = &page.fresh();
      const char* heads[] = {"Bay", "Gives first", "Stress", "Strength", "Reserve", "Load"};
      for (std::size_t i = 0; i < std::size(heads); ++i) d->write({columns[i], -2.6}, heads[i], 2.6);
      d->line(Layer::text, {0, -4}, {wide, -4});
      y = -4;
    }
    const auto rib = [&](int k) { return w.frame.ribs[static_cast<std::size_t>(k)].name(); };
    const std::string cells[] = {fmt::format("{} to {}", rib(bay.bay - 1), rib(bay.bay)),
                                 wordsOf(*c),
                                 fmt::format("{:.3g} MPa", c->stress),
                                 fmt::format("{:.3g} MPa", c->strength),
                                 fmt::format("{:.2f}{}", c->reserve(), c->reserve() < usualReserve ? " !" : ""),
                                 wordsOf(c->load)};
    for (std::size_t i = 0; i < std::size(cells); ++i) d->write({columns[i], y - row + 1.4}, cells[i], 2.4);
    y -= row;
  }
}

std::string sourcesOf(const PanelBrief& d) {
  std::set<std::string> keys{d.ribs.material};
  for (const Spar& s : d.spars) {
    if (s.kind == SparKind::fullDepth) keys.insert(s.sheetMaterial);
    for (const Cap& cap : {s.top, s.bottom}) {
      if (s.kind != SparKind::caps || !cap.fitted) continue;
      keys.insert(cap.material);
      if (cap.changes) keys.insert(cap.thenMaterial);
    }
    if (webWidthAt(s, 0) > 0) keys.insert(s.webMaterial);
  }
  if (d.leadingEdge.kind != LeadingEdgeKind::none) keys.insert(d.leadingEdge.material);
  if (d.trailingEdge.kind != TrailingEdgeKind::none) keys.insert(d.trailingEdge.material);
  if ((d.sheeting.top || d.sheeting.bottom) && (d.sheeting.carries || d.flying.diveSpeed > 0))
    keys.insert(d.sheeting.material);
  for (const Bracing& b : d.join.braces) keys.insert(b.material);
  if (d.join.joiner.fitted) keys.insert(d.join.joiner.material);
  std::string out;
  for (const std::string& key : keys) {
    const Material& m = d.tables.named(key);
    out += fmt::format("{}{}: E {:.0f}, pulled {:.3g}, pressed {:.3g}, sheared {:.3g} MPa ({})",
                       out.empty() ? "Reckoned with " : "; ", m.label, m.modulus, m.tension, m.compression,
                       m.shearStrength, m.source);
  }
  return out + fmt::format(". Glue: {}.", d.tables.glue(d.glue).label);
}

} // namespace

std::vector<Drawing> strengthCard(const WholeWing& wing, const TruePanel& w, Hand hand) {
  const PanelBrief& d = w.design;
  const std::string title =
      d.of > 1 ? fmt::format("Strength card, panel {}", d.id.panel + 1) : std::string("Strength card");
  Page page;
  page.text(fmt::format("{}  {} HAND", d.name, nameLarge(hand)), 7);
  page.text(title, 5);
  page.paragraph(std::string(strengthCaution), 3);
  const LoadFactors factors = d.factors();
  const std::string built = fmt::format(" ({}: {})", factors.label, factors.source);
  for (const LoadCase& c : wing.loads) {
    const bool byKind = c.what == LoadCase::What::pull || c.what == LoadCase::What::push;
    page.text(fmt::format("{}: {:.2f} × the weight{}; bending at the panel's root {}", wordsOf(c.what), c.factor,
                          byKind ? built : "", told(c.load.moment(d.inboard), Quantity::moment, d.unit)),
              2.8);
  }
  if (d.flying.diveSpeed > 0)
    page.text(fmt::format("{}: {} m/s, twisted by the sections' own moments", wordsOf(LoadCase::What::dive),
                          formatNumber(d.flying.diveSpeed, 2)),
              2.8);
  for (const SparStrength& s : w.strength.bending.spars) {
    const Spar& spar = d.spars[static_cast<std::size_t>(s.spar)];
    if (s.root.bent.empty()) continue;
    page.text(fmt::format("{}: EI {} at the root, {:.0f} % of the bending", spar.name,
                          told(s.root.bent.stiffness, Quantity::stiffness, d.unit), s.share * 100),
              4);
    drawReserves(w, s.spar, page);
    drawBays(w, s.spar, page);
  }
  for (const EdgeStrength& e : w.strength.bending.edges)
    page.text(fmt::format("{} edge, a spar here: {:.0f} % of the bending, least reserve {:.2f}, {}",
                          e.leading ? "Leading" : "Trailing", e.share * 100, e.worstReserve, wordsOf(e.worstCase)),
              4);
  if (w.strength.bending.spars.empty() && w.strength.bending.edges.empty())
    page.text("No spar: nothing is reckoned.", 4);
  page.paragraph(sourcesOf(d), 2.4);
  for (Drawing& block : page.blocks) block.title = title, block.wing = d.name, block.hand = hand;
  return std::move(page.blocks);
}

} // namespace eup
