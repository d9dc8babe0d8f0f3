// Figures of loads and strength.
#include "core/report/report_parts.h"
#include <fmt/format.h>

namespace eup {
namespace {

const char* schrenkSource(LoadShape shape) {
  switch (shape) {
  case LoadShape::schrenk:
    return "Schrenk, NACA TM 948 (1940): mean of the chord and the ellipse";
  case LoadShape::ellipse:
    return "elliptic lift; moment arm 4 ÷ (3π) of the half span";
  case LoadShape::chord:
    return "lift in proportion to the chord";
  case LoadShape::table:
    return "lift spread as in the table, straight between its numbers";
  }
  return "";
}

void capFigure(const TruePanel& w, const SparStrength& s, Face face, FigureList& out) {
  const auto& stress = face == Face::upper ? s.upper : s.lower;
  if (!stress) return;
  const Spar& spar = w.design.spars[static_cast<std::size_t>(s.spar)];
  const bool up = face == Face::upper;
  const double outer = up ? s.root.upperOuter : s.root.lowerOuter,
               modulus = up ? s.root.upperModulus : s.root.lowerModulus;
  const std::string path = fmt::format("spars.{}", s.spar);
  const std::string& key =
      spar.kind == SparKind::fullDepth ? spar.sheetMaterial : (up ? spar.top : spar.bottom).material;
  const Material& m = w.design.tables.named(key);
  const std::vector<std::string> from =
      spar.kind == SparKind::fullDepth
          ? std::vector<std::string>{path + ".sheet", path + ".sheetMaterial", "flying.mass", "flying.loadFactor"}
          : std::vector<std::string>{
                path + (up ? ".top.width" : ".bottom.width"), path + (up ? ".top.depth" : ".bottom.depth"),
                path + (up ? ".top.material" : ".bottom.material"), "flying.mass", "flying.loadFactor"};
  const std::string where = fmt::format("{}, {} face of the {}, {}", innerEnd(w.design), up ? "upper" : "lower",
                                        spar.name, up == (s.moment >= 0) ? "compression" : "tension");
  out.add({fmt::format("spar.{}.stress{}", s.spar + 1, up ? "Top" : "Bottom"),
           fmt::format("{} stress, {}", up ? "Top" : "Bottom", spar.name), stress->stress, Quantity::stress,
           Stage::spars, where, "M E z ÷ EI, transformed section",
           fmt::format("{:.0f} N·mm × {:.0f} MPa × {:.2f} mm ÷ {:.4g} N·mm² = {:.1f} MPa", s.moment, modulus,
                       std::abs(outer - s.root.bent.axis), s.root.bent.stiffness, stress->stress),
           w.strength.skin.empty() || s.spar > 0 ? "bending theory of beams; caps alone, no web"
                                                 : "bending theory of beams; caps and the sheet that carries, no web",
           from});
  out.add(
      {fmt::format("spar.{}.reserve{}", s.spar + 1, up ? "Top" : "Bottom"),
       fmt::format("{} reserve, {}", up ? "Top" : "Bottom", spar.name), stress->reserve, Quantity::ratio, Stage::spars,
       where, "strength ÷ stress",
       fmt::format("{:.1f} MPa ({}) ÷ {:.1f} MPa = {:.2f}", stress->strength, m.label, stress->stress, stress->reserve),
       m.source, from, true});
}

/// Where a cap ends before its spar.
Figure endFigure(const TruePanel& w, const SparLine& line, bool up, const FigureList& out) {
  const Spar& spar = w.design.spars[static_cast<std::size_t>(line.index)];
  const double share = (up ? spar.top : spar.bottom).dropsAt, t = share * line.end;
  const auto beyond =
      std::find_if(w.frame.ribs.begin(), w.frame.ribs.end(), [&](const Rib& r) { return r.t() >= t - 0.5; });
  return {fmt::format("spar.{}.end{}", line.index + 1, up ? "Top" : "Bottom"),
          fmt::format("{} cap ends, {}", up ? "Top" : "Bottom", spar.name),
          t,
          Quantity::length,
          Stage::spars,
          fmt::format("from {}; let it end on a rib, tapered, not between two", innerEnd(w.design)),
          "share of the spar's length",
          fmt::format(
              "{:.0f} % of {}{}", 100 * share, out.len(line.end),
              beyond == w.frame.ribs.end() ? "" : fmt::format("; R{} is at {}", beyond->number, out.len(beyond->t()))),
          "the wing's bending falls outwards; an abrupt end between ribs starts a crack: common practice",
          {fmt::format("spars.{}.{}.dropsAt", line.index, up ? "top" : "bottom")}};
}

/// Where a cap's wood changes, the two being scarfed there, and where its doubler ends.
void changeFigures(const TruePanel& w, const SparLine& line, FigureList& out) {
  const Spar& spar = w.design.spars[static_cast<std::size_t>(line.index)];
  if (spar.kind != SparKind::caps) return;
  for (const bool up : {true, false}) {
    const Cap& cap = up ? spar.top : spar.bottom;
    if (cap.fitted && cap.doubled && cap.shape == CapShape::strip)
      out.add({fmt::format("spar.{}.doubler{}", line.index + 1, up ? "Top" : "Bottom"),
               fmt::format("{} cap's doubler ends, {}", up ? "Top" : "Bottom", spar.name),
               cap.doubledTo * line.end,
               Quantity::length,
               Stage::spars,
               fmt::format("from {}; {} more on the cap's inner side, notches as deep", innerEnd(w.design),
                           out.len(cap.doubler)),
               "share of the spar's length",
               fmt::format("{:.0f} % of {}; taper its last {} to nothing", 100 * cap.doubledTo, out.len(line.end),
                           out.len(12 * cap.doubler)),
               "taper of 12 to 1: common practice",
               {fmt::format("spars.{}.{}.doubledTo", line.index, up ? "top" : "bottom"),
                fmt::format("spars.{}.{}.doubler", line.index, up ? "top" : "bottom")}});
    if (cap.fitted && cap.drops) out.add(endFigure(w, line, up, out));
    if (!cap.fitted || !cap.changes) continue;
    const double t = cap.changesAt * line.end, depth = capAt(cap, cap.changesAt).depth;
    constexpr double slope = 12; // of a scarf: its length to its depth
    const std::string path = fmt::format("spars.{}.{}", line.index, up ? "top" : "bottom");
    const Material &here = w.design.tables.named(cap.material), &beyond = w.design.tables.named(cap.thenMaterial);
    out.add({fmt::format("spar.{}.change{}", line.index + 1, up ? "Top" : "Bottom"),
             fmt::format("{} cap's wood changes, {}", up ? "Top" : "Bottom", spar.name),
             t,
             Quantity::length,
             Stage::spars,
             fmt::format("from {}: {} to there, {} beyond", innerEnd(w.design), here.label, beyond.label),
             "share of the spar's length",
             fmt::format("{:.0f} % of {}; scarf {} long for its depth of {}", 100 * cap.changesAt, out.len(line.end),
                         out.len(slope * depth), out.len(depth)),
             "scarf of 12 to 1: common practice",
             {path + ".changesAt", path + ".thenMaterial"},
             true});
  }
}

void webFigure(const TruePanel& w, const SparStrength& s, FigureList& out) {
  if (s.webDepth <= 0) return;
  const Spar& spar = w.design.spars[static_cast<std::size_t>(s.spar)];
  const std::string path = fmt::format("spars.{}", s.spar);
  const double shear = w.strength.bending.load.shear(w.design.inboard) * s.share;
  out.add(
      {fmt::format("spar.{}.webShear", s.spar + 1),
       fmt::format("Shear on the web, {}", spar.name),
       s.webFlow,
       Quantity::flow,
       Stage::spars,
       fmt::format("{}, per mm along and across the web, upright grain; what the glue line at each cap carries too",
                   innerEnd(w.design)),
       "(V + M h′ ÷ h) ÷ h, h between the caps' middles, h′ its change outwards",
       fmt::format("({:.2f} N + {:.0f} N·mm × {:.5f} ÷ {:.2f} mm) ÷ {:.2f} mm = {:.3f} N/mm; plain V ÷ h says {:.3f}",
                   shear, s.moment, s.webDepthChange, s.webDepth, s.webDepth, s.webFlow, shear / s.webDepth),
       "bending theory of beams whose depth tapers",
       {path + ".top.depth", path + ".bottom.depth", "flying.loadFactor", "flying.mass"}});
}

/// The box of nose sheet and a web at the main spar, when both faces are sheeted that far.
void noseBoxFigures(const TruePanel& w, FigureList& out) {
  if (!w.strength.noseBox) return;
  const PanelBrief& d = w.design;
  const NoseBox& box = *w.strength.noseBox;
  const Spar& spar = d.spars[static_cast<std::size_t>(box.spar)];
  const std::string path = fmt::format("spars.{}", box.spar);
  out.add(
      {"box.torsion",
       "Nose box against twist, J",
       box.torsion,
       Quantity::torsion,
       Stage::spars,
       fmt::format("root; sheet from the nose to an upright web at the {}, as thick as the sheet", spar.name),
       "4 A² t ÷ length of the wall, on its mid line",
       !d.sheeting.ownBelow && !d.cloth.any()
           ? fmt::format("4 × ({:.0f} mm²)² × {} mm ÷ {:.1f} mm = {:.0f} mm⁴", box.area, d.sheeting.thickness, box.wall,
                         box.torsion)
           : fmt::format("4 × ({:.0f} mm²)² ÷ ∮ ds ÷ t over {:.1f} mm, every wall as thick as the upper sheet would "
                         "have to be, cloth with it = {:.0f} mm⁴",
                         box.area, box.wall, box.torsion),
       "Bredt's formula for thin closed tubes",
       {"sheeting.thickness", path + ".rootFraction", "sections.root.kind", "panel.rootChord"}});
  if (!box.ahead) return;
  const Material &web = d.tables.named(spar.webMaterial), &sheet = d.tables.named(d.sheeting.material);
  out.add(
      {"box.shearCentre",
       "Shear centre before the web",
       *box.ahead,
       Quantity::length,
       Stage::spars,
       fmt::format("root; lift there bends the closed nose and does not twist it, {} from the {}'s line",
                   out.len(*box.ahead), spar.name),
       "2 A ÷ h × δw ÷ (δw + δs), δ = length ÷ (G t) of the web and of the sheet",
       fmt::format("2 × {:.0f} mm² ÷ {:.1f} mm, web {:.1f} mm ÷ ({:.0f} MPa × {} mm), sheet {:.1f} mm ÷ ({:.0f} MPa "
                   "× {} mm): {}",
                   box.area, box.webDepth, box.webDepth, web.shear, webWidthAt(spar, 0), box.wall - box.webDepth,
                   sheet.shear, d.sheeting.thickness, out.len(*box.ahead)),
       "shear flows of a closed cell whose bending two caps carry",
       {"sheeting.thickness", path + ".webThickness", path + ".webMaterial", "sheeting.material"}});
}

} // namespace

void sparFigures(const TruePanel& w, FigureList& out) {
  for (const SparLine& line : w.frame.spars) changeFigures(w, line, out);
  const Strength& st = w.strength.bending;
  const SpanLoad& load = st.load;
  const double beyond = load.shear(w.design.inboard), moment = load.moment(w.design.inboard),
               arm = beyond != 0 ? moment / beyond : 0;
  out.add(
      {"load.rootMoment",
       w.design.innermost() ? "Bending at the root" : "Bending at the join",
       moment,
       Quantity::moment,
       Stage::spars,
       fmt::format("{}, {}", w.design.innermost() ? "root rib" : w.frame.ribs.front().name(), wordsOf(st.worst.what)),
       w.design.innermost() ? "half lift × the place of its centre" : "lift outside × how far out it acts",
       fmt::format("{:.3f} N × {:.2f} mm = {:.0f} N·mm", beyond, arm, moment),
       schrenkSource(load.shape),
       {"flying.mass", "flying.loadFactor", "flying.shape", "panel.span", "panel.rootChord", "panel.tipChord"},
       true});
  for (const EdgeStrength& e : st.edges) {
    if (w.foam) break; // its skins and core, told with the foam
    const std::string head = e.leading ? "edge.leading." : "edge.trailing.",
                      edge = e.leading ? "leadingEdge" : "trailingEdge";
    const EdgeSection root = edgeSection(w.design, w.shape.loft, e.leading, 0);
    const char* name = e.leading ? "leading edge" : "trailing edge";
    out.add({head + "reserve",
             fmt::format("Least reserve, {}", name),
             e.worstReserve,
             Quantity::ratio,
             Stage::spars,
             fmt::format("{} from {}, {}: the panel has no other spar", out.len(e.worstAt), innerEnd(w.design),
                         wordsOf(e.worstCase)),
             "strength ÷ (M E z ÷ Σ E I), each strip about its own middle",
             fmt::format("at the root {:.0f} % of the bending, {:.2f} MPa, I {:.3g} mm⁴", e.share * 100, e.stress,
                         root.inertia),
             "strips side by side with nothing but ribs between bend together; beam theory",
             {edge + ".width", edge + ".material", "flying.loadFactor"},
             true});
  }
  for (const SparStrength& s : st.spars) {
    if (s.root.bent.empty()) continue;
    const Spar& spar = w.design.spars[static_cast<std::size_t>(s.spar)];
    const std::string path = fmt::format("spars.{}", s.spar);
    capFigure(w, s, Face::upper, out);
    capFigure(w, s, Face::lower, out);
    webFigure(w, s, out);
    out.add({fmt::format("spar.{}.worstReserve", s.spar + 1),
             fmt::format("Least reserve, {}", spar.name),
             s.worstReserve,
             Quantity::ratio,
             Stage::spars,
             fmt::format("{} from {}, {}", out.len(s.worstAt), innerEnd(w.design), wordsOf(s.worstCase)),
             "least of strength ÷ stress along the span, both faces, all loads",
             "searched in 120 steps",
             "bending theory of beams",
             {path + ".rootFraction", "flying.loadFactor"}});
    out.add({fmt::format("spar.{}.share", s.spar + 1),
             fmt::format("Share of bending, {}", spar.name),
             s.share,
             Quantity::percent,
             Stage::spars,
             innerEnd(w.design),
             "EI of this spar ÷ EI of all: they bend together",
             fmt::format("{:.4g} ÷ {:.4g} = {:.1f} %", s.root.bent.stiffness, st.rootStiffness, s.share * 100),
             "bending theory of beams",
             {}});
    out.add(
        {fmt::format("spar.{}.depth", s.spar + 1),
         fmt::format("Outer depth, {}", spar.name),
         s.root.depth(),
         Quantity::length,
         Stage::spars,
         fmt::format("{}, outer face to outer face", innerEnd(w.design)),
         "section depth less the cover",
         fmt::format("{} − {} = {}", out.len(s.root.upperOuter), out.len(s.root.lowerOuter), out.len(s.root.depth())),
         ruledLoft,
         {path + ".rootFraction", "sheeting.thickness"}});
    out.add({fmt::format("spar.{}.stiffness", s.spar + 1),
             fmt::format("Stiffness EI, {}", spar.name),
             s.root.bent.stiffness,
             Quantity::stiffness,
             Stage::spars,
             innerEnd(w.design),
             "Σ E (I + A d²) about the modulus-weighted axis",
             fmt::format("axis {:.2f} mm over the lower face", s.root.bent.axis - s.root.lowerOuter),
             "transformed section",
             {}});
    const SparLine& line = w.frame.spars[static_cast<std::size_t>(s.spar)];
    out.add({fmt::format("spar.{}.gap", s.spar + 1),
             fmt::format("{} leaves the surface by", spar.name),
             line.worstGap,
             Quantity::length,
             Stage::spars,
             fmt::format("most at {} from {}", out.len(line.worstGapAt), innerEnd(w.design)),
             "straight seat line against the panel's surface, searched in 40 steps",
             fmt::format("{:.2f} % chord at the root, {:.2f} % at the tip", line.rootFraction * 100,
                         line.tipFraction * 100),
             ruledLoft,
             {path + ".rootFraction", path + ".tipFraction"}});
  }
  noseBoxFigures(w, out);
}

} // namespace eup
