// Figures of the centre join and of setting up.
#include "core/joins/joiner.h"
#include "core/joins/packing.h"
#include "core/joins/sawn_ends.h"
#include "core/report/finder.h"
#include "core/report/report_parts.h"
#include "core/wing/run_over.h"
#include <fmt/format.h>

namespace eup {
namespace {

/// Where under the leading edge.
const char* noseWords(const PanelBrief& d) {
  if (d.leading.width <= 0) return ", a twentieth of the chord";
  return d.join.noseOn == NoseOn::middle ? ", under the middle of the LE stock"
                                         : ", under the rear edge of the LE stock";
}

std::string underWhat(const PanelBrief& d) {
  switch (d.join.blockAt) {
  case BlockAt::leadingEdge:
    return std::string("leading edge") + noseWords(d);
  case BlockAt::spar:
    return d.spars.empty() ? "place 30 % aft of the leading edge" : "main spar";
  case BlockAt::trailingEdge:
    return "trailing edge";
  }
  return "";
}

void bendFigures(const TruePanel& w, const BraceTold& of, FigureList& out) {
  const Brace& b = of.brace;
  const SparLine& line = w.frame.spars[static_cast<std::size_t>(b.spar)];
  const std::string path = fmt::format("spars.{}", b.spar);
  const std::string name = w.design.spars[static_cast<std::size_t>(b.spar)].name;
  const bool centre = w.join.centre;
  const std::vector<std::string> from{"join.dihedral.rise",  "join.dihedral.angle", path + ".rootFraction",
                                      path + ".tipFraction", "panel.tipSetback",    of.decision("form")};
  if (b.folded) {
    out.add({of.key("bend"), of.label("Brace bend, flat"), b.bend, Quantity::angle, Stage::joins,
             fmt::format("between its legs as it is cut from the sheet, for the {}", name),
             centre ? "2 atan(tan Γ ÷ cos Λ)" : "180° less both legs' angles to the fold line",
             centre ? fmt::format("2 × atan(tan {} ÷ cos {}) = {}", out.deg(w.join.gamma), out.deg(line.sweep),
                                  out.deg(b.bend))
                    : fmt::format("= {}", out.deg(b.bend)),
             "each leg lies in the upright plane of its spar; they meet in the fold", from, true});
    out.add({of.key("turn"), of.label("Brace folded by"), b.turn, Quantity::angle, Stage::joins,
             "along the upright line at the join: laminate it over a block with this angle, or bend it wet",
             "angle between the two legs' planes", fmt::format("the {} sweeps {}", name, out.deg(line.sweep)),
             "solid geometry", from, true});
  } else {
    out.add({of.key("bend"), of.label("Brace bend"), b.bend, Quantity::angle, Stage::joins,
             fmt::format("between the two legs, in the flat brace on the {}", name),
             centre ? "acos(cos²Λ cos 2Γ − sin²Λ), Λ the spar's sweep"
                    : "acos(u₁ · u₂), u = (sin Λ, cos Λ cos Γ, cos Λ sin Γ) of the spar in each panel",
             centre ? fmt::format("acos(cos²{0} × cos {1} − sin²{0}) = {2}", out.deg(line.sweep),
                                  out.deg(2 * w.join.gamma), out.deg(b.bend))
                    : fmt::format("Λ {} and Γ {} outside, Γ {} inside: {}", out.deg(line.sweep), out.deg(w.join.gamma),
                                  out.deg(w.join.gamma - 2 * w.join.fold), out.deg(b.bend)),
             "angle between the two spar directions", from, true});
    out.add({of.key("lean"), of.label("Brace leans"), b.lean, Quantity::angle, Stage::joins,
             "out of the vertical, for a flat brace that holds both spar lines",
             centre ? "atan(tan Λ ÷ sin Γ)" : "of the plane through both spar directions",
             centre ? fmt::format("atan(tan {} ÷ sin {}) = {}", out.deg(std::abs(line.sweep)), out.deg(w.join.gamma),
                                  out.deg(b.lean))
                    : fmt::format("= {}", out.deg(b.lean)),
             "solid geometry", from});
  }
  const auto capBend = [&](const char* key, const char* label, double bend, const StraightLine& cap) {
    out.add(
        {of.key(key), of.label(label), bend, Quantity::angle, Stage::joins,
         fmt::format("between the caps of the {} that meet there", name),
         centre ? "angle between the cap's own line and its mirror image"
                : "angle between the caps' own lines of the two panels",
         fmt::format("over {} outwards the cap runs {} aft and {} up, then leans by Γ = {}", out.len(cap.span),
                     out.len(cap.tip.x() - cap.root.x()), out.len(cap.tip.y() - cap.root.y()), out.deg(w.join.gamma)),
         "solid geometry; differs from the brace's where the caps close in or turn: notch, dress or shape the "
         "brace for it",
         from});
  };
  capBend("capTop", "Upper cap bends", b.capTopBend, line.upperSeat);
  capBend("capBottom", "Lower cap bends", b.capBottomBend, line.lowerSeat);
}

void legFigures(const TruePanel& w, const BraceTold& of, FigureList& out) {
  const Brace& b = of.brace;
  const std::string path = fmt::format("spars.{}", b.spar), toRib = of.decision("toRib");
  const std::string name = w.design.spars[static_cast<std::size_t>(b.spar)].name;
  const bool centre = w.join.centre, faces = of.decided.over == BraceOver::faces;
  const auto leg = [&](const char* key, const std::string& label, const BraceLeg& l) {
    out.add({of.key(key),
             of.label(label),
             l.length,
             Quantity::length,
             Stage::joins,
             fmt::format("along the {} to R{}", name, l.toRib),
             "way from the join to that rib ÷ cos Λ",
             fmt::format("= {}", out.len(l.length)),
             planeGeometry,
             {toRib},
             true});
  };
  leg("leg", centre ? "Brace leg" : "Brace leg outwards", b.outer);
  if (!centre) leg("legInside", "Brace leg inwards", b.inner);
  const auto depth = [&](const char* key, const std::string& label, double value) {
    out.add({of.key(key),
             of.label(label),
             value,
             Quantity::length,
             Stage::joins,
             faces ? "over the spar's faces" : "clear between the caps",
             faces ? "outer depth of the spar" : "outer depth of the spar less its caps",
             fmt::format("= {}", out.len(value)),
             ruledLoft,
             {path + ".top.depth", path + ".bottom.depth", toRib}});
  };
  depth("depthRoot", "Brace depth at the join", b.depthRoot);
  depth("depthEnd", fmt::format("Brace depth at R{}", b.outer.toRib), b.outer.depthEnd);
  if (!centre) depth("depthEndInside", fmt::format("Brace depth at R{}", b.inner.toRib), b.inner.depthEnd);
}

void braceFigures(const TruePanel& w, FigureList& out) {
  for (const Brace& b : w.join.braces) {
    const BraceTold of(w, b);
    bendFigures(w, of, out);
    legFigures(w, of, out);
  }
}

/// Spars that are cut part way at the join and set at its angle, and edges that pass it with them: the V that closes.
void crackFigures(const TruePanel& w, FigureList& out) {
  const Join& j = w.design.join;
  if (j.sparsThere != SparsThere::cracked) return;
  const double bend = 2 * std::abs(w.join.fold);
  const auto crack = [&](const std::string& key, std::string label, double deep) {
    const double cut = nickDepth(deep, j), mouth = 2 * cut * std::tan(bend / 2);
    out.add({"crack." + key,
             std::move(label),
             mouth,
             Quantity::length,
             Stage::joins,
             fmt::format("width of the V at the {} face, {} deep; {} is left and bends",
                         w.join.fold >= 0 ? "upper" : "lower", out.len(cut), out.len(deep - cut)),
             "2 × depth of the cut × tan(half the angle)",
             fmt::format("2 × {} × tan {} = {}", out.len(cut), out.deg(bend / 2), out.len(mouth)),
             planeGeometry,
             {"join.crackLeaves", "join.dihedral.rise", "join.dihedral.angle"},
             true});
  };
  for (const SparLine& line : w.frame.spars) {
    const Spar& spar = w.design.spars[static_cast<std::size_t>(line.index)];
    const auto of = [&](const char* key, const char* label, double deep) {
      crack(fmt::format("{}.{}", line.index + 1, key), fmt::format("{}, {}", label, spar.name), deep);
    };
    if (spar.kind == SparKind::fullDepth) {
      of("sheet", "V in the sheet", line.upperSeat.at(0).y() - line.lowerSeat.at(0).y());
    } else {
      if (spar.top.fitted) of("top", "V in the top cap", capAt(spar.top, 0).depth);
      if (spar.bottom.fitted) of("bottom", "V in the bottom cap", capAt(spar.bottom, 0).depth);
    }
  }
  for (const Part& part : w.parts)
    if (runsOverRoot(part)) {
      if (part.id.kind == PieceKind::leadingEdge) crack("le", "V in the leading edge", part.stock.thickness);
      if (part.id.kind == PieceKind::trailingEdge) crack("te", "V in the trailing edge", part.stock.thickness);
    }
}

/// Heights of the two jig rods' middles over the board, and how far they stand behind the root's leading edge.
void jigRodFigures(const TruePanel& w, FigureList& out) {
  if (!w.design.join.rods) return;
  const Placement turn{-w.settingUp.turn, {0, 0}};
  const double board = w.settingUp.board;
  const auto rods = jigRods(w.design, w.shape.loft);
  for (std::size_t k = 0; k < rods.size(); ++k)
    for (const bool root : {true, false}) {
      const Point at = root ? rods[k].root : rods[k].tip, lies = turn(at);
      const char* which = k == 0 ? "Front" : "Rear";
      out.add({fmt::format("rod.{}.{}", k + 1, root ? "root" : "tip"),
               fmt::format("{} rod, {} end", which, root ? "inner" : "outer"),
               lies.y() - board,
               Quantity::length,
               Stage::joins,
               fmt::format("board to the rod's middle, {} behind the root's LE", out.len(lies.x())),
               "half way between the faces there, as the panel is set up",
               fmt::format("{} − {} = {}", out.len(lies.y()), out.len(board), out.len(lies.y() - board)),
               ruledLoft,
               {"join.rods", k == 0 ? "join.rodFront" : "join.rodRear", "join.datum"},
               true});
    }
}

/// One end of a panel: how the strips that meet at a join there are sawn.
struct SawnEnd {
  bool root = true;
  double lean = 0;   ///< rad, how far it is out of square to meet the join
  std::string key;   ///< what its figures begin with
  std::string which; ///< " end", " outer end"
  std::vector<std::string> from;
};

void endCutFigures(const TruePanel& w, const SawnEnd& end, FigureList& out) {
  for (const SawnStrip& s : sawnAt(w, end.root)) {
    const std::string key = end.key + s.key, what = s.name + end.which;
    const std::string runs =
        fmt::format("{} runs {} aft and {} up over {}; the join leans {}", s.sheet ? "its front edge" : "it",
                    out.len(s.along.x()), out.len(s.along.z()), out.len(s.along.y()), out.deg(end.lean));
    // At an outer end the strip lies on the other side of the plane: what is longer there is shorter here.
    const char *longer = end.root ? "front" : "back", *leans = end.root ? "below" : "above";
    const auto add = [&](const char* of, const char* words, double angle, std::string where, const char* rule) {
      out.add({key + of, what + words, angle, Quantity::angle, Stage::joins, std::move(where), rule, runs,
               "solid geometry", end.from});
    };
    if (s.sheet) {
      add(".mitre", ", mitre", s.cut.mitre,
          fmt::format("on its face half way along its end, out of square to its front edge; + longer at the {}. Cut it "
                      "before the long edge; from corner to corner it is told with the skin",
                      longer),
          "where the plane that halves the join meets the sheet");
      add(".tilt", ", blade tilts", s.cut.tilt,
          "of a knife that is set to the mitre, out of upright, half way along the sheet's width",
          "of the plane that halves the join to the sheet");
      continue;
    }
    add(".mitre", ", mitre", s.cut.mitre,
        fmt::format("on its upper face, out of square to its length; + longer at the {}", longer),
        "where the plane that halves the join meets the face");
    add(".bevel", ", bevel", s.cut.bevel,
        fmt::format("on its side face, out of square to its length; + longer {}", leans),
        "where the plane that halves the join meets the side");
    add(".tilt", ", blade tilts", s.cut.tilt, "of a saw that is set to the mitre, out of upright",
        "of the plane that halves the join to the face");
  }
}

/// At this panel's root, and at its tip where another panel is joined to it.
void endCutFigures(const TruePanel& w, FigureList& out) {
  endCutFigures(
      w, {true, w.join.lean, "cut.", " end", {"join.dihedral.rise", "join.dihedral.angle", "panel.tipSetback"}}, out);
  if (w.design.beyond)
    endCutFigures(w, {false, w.design.leanBeyond, "cutOuter.", " outer end", {"panel.tipSetback"}}, out);
}

} // namespace

void joinFigures(const TruePanel& w, FigureList& out) {
  const PanelJoin& j = w.join;
  const double span = w.shape.loft.span();
  const DihedralBy by = w.design.join.dihedral.by;
  const bool byBlock = w.design.join.blockHeight > 0;
  const std::vector<std::string> from =
      byBlock ? std::vector<std::string>{"join.blockHeight", "join.blockAt", "panel.span"}
              : std::vector<std::string>{"join.dihedral.rise", "join.dihedral.angle", "panel.span"};
  std::vector<std::string> takenFrom = from;
  if (!j.centre) takenFrom.emplace_back("join.angleTaken");
  const std::string at = underWhat(w.design);
  const std::string folded = j.centre ? (j.otherFlat ? "2Γ" : "Γ") : "(Γ − Γ inside)";
  const bool straight = straightOverRoot(w);
  if (!straight)
    out.add({"join.block", "Block under the tip", j.block.height, Quantity::length, Stage::joins,
             fmt::format("R{}, under the {}, board to underside", w.frame.ribs.back().number, at),
             fmt::format("L sin {} and what the underside lies off the chord there, over {}", folded,
                         j.otherFlat
                             ? (j.centre ? "the pinned half's board" : "the board that the panel inside is pinned to")
                             : "the root's lowest point"),
             fmt::format("{} × sin {} = {}; the underside and the washout there make it {}", out.len(span),
                         out.deg(j.onBoard), out.len(j.risePropped), out.len(j.block.height)),
             planeGeometry,
             byBlock ? std::vector<std::string>{"join.blockHeight", "join.blockAt", "join.propping", "panel.span",
                                                "panel.washout"}
                     : std::vector<std::string>{"join.dihedral.rise", "join.dihedral.angle", "join.blockAt",
                                                "join.propping", "panel.span", "panel.washout"},
             true});
  if (!straight)
    out.add({"join.blockOverRoot", "Underside of the tip over that of the root", j.block.overRoot, Quantity::length,
             Stage::joins, fmt::format("underside at the {}, tip less root", at),
             "height of the tip's underside less that of the root's at the same place on the chord",
             fmt::format("at {:.0f} % of the chord", j.block.fraction * 100), planeGeometry, from});
  out.add({"join.rise", "Tip rises by", j.rise, Quantity::length, Stage::joins,
           j.centre ? "chord line at the tip over the root, finished wing; the block is another figure"
                    : "chord line at the panel's tip over its root, finished wing; the block is another figure",
           by == DihedralBy::rise && !byBlock ? "as decided" : "L sin Γ",
           fmt::format("{} × sin {} = {}", out.len(span), out.deg(j.gamma), out.len(j.rise)), planeGeometry, from});
  out.add({"join.dihedral", j.centre ? "Dihedral" : "Panel to the horizontal", j.gamma, Quantity::angle, Stage::joins,
           j.centre ? "each half, to the horizontal" : "of the finished wing",
           byBlock                   ? "the angle at which the block of that height fits under its place"
           : by == DihedralBy::rise  ? "asin(rise ÷ L)"
           : by == DihedralBy::angle ? "as decided"
                                     : "acos(span from above ÷ L)",
           by == DihedralBy::projected && !byBlock
               ? fmt::format("acos({} ÷ {}) = {}", out.len(j.fromAbove), out.len(span), out.deg(j.gamma))
               : fmt::format("asin({} ÷ {}) = {}", out.len(j.rise), out.len(span), out.deg(j.gamma)),
           planeGeometry, from, true});
  if (j.centre && j.otherFlat)
    out.add({"join.riseOneFlat", "Rise, other half flat", j.risePropped, Quantity::length, Stage::joins,
             "chord line at the propped tip", "L sin 2Γ",
             fmt::format("{} × sin {} = {}", out.len(span), out.deg(2 * j.gamma), out.len(j.risePropped)),
             planeGeometry, from});
  if (!j.centre) {
    out.add({"join.break", "Angle at the join", 2 * j.fold, Quantity::angle, Stage::joins,
             "between the panel and the one inside it", "Γ − Γ inside",
             fmt::format("{} − {} = {}", out.deg(j.gamma), out.deg(j.gamma - 2 * j.fold), out.deg(2 * j.fold)),
             planeGeometry, from, true});
    out.add({"join.risePropped", "Rise, inside panel flat", j.risePropped, Quantity::length, Stage::joins,
             "chord line at the propped tip", "L sin (Γ − Γ inside)",
             fmt::format("{} × sin {} = {}", out.len(span), out.deg(j.onBoard), out.len(j.risePropped)), planeGeometry,
             from});
  }
  const bool whole = !j.centre && w.design.join.angleTaken == AngleTaken::outer;
  const char* half = j.centre ? "Γ" : whole ? "Γ − Γ inside" : "half of Γ − Γ inside";
  out.add({"join.rootLean", w.design.built != Built::ribs ? "Its end leans" : "Root rib leans", j.lean, Quantity::angle,
           Stage::joins,
           whole                     ? (w.design.join.rootLeans
                                            ? "out of square to the panel; this rib alone is cut for it, the panel inside ends square"
                                            : "out of square to the panel; this end alone is bevelled, the panel inside ends square")
           : w.design.join.rootLeans ? "out of square to the panel; the ribs that meet there are cut for it"
           : j.centre                ? "out of square to the panel; each end bevelled by this"
                                     : "out of square to the panel; both ends that meet are bevelled by this",
           half, fmt::format("{} = {}", half, out.deg(j.lean)), planeGeometry, takenFrom});
  if (!passesRoot(w))
    out.add({"join.trim", "Trim at the top", j.trim, Quantity::length, Stage::joins,
             fmt::format("off the {} edge of {}", j.lean >= 0 ? "upper" : "lower", whole ? "this end" : "each end"),
             fmt::format("root depth × tan ({})", half),
             fmt::format("{} × tan {} = {}", out.len(j.rootDepth), out.deg(std::abs(j.lean)), out.len(j.trim)),
             planeGeometry, takenFrom});
  if (w.design.built == Built::ribs) // a rib that leans is cut taller; an end of sheet is bevelled
    out.add({"join.rootTaller", "Root rib cut taller", j.rootTaller - 1, Quantity::percent, Stage::joins,
             "because it leans", fmt::format("1 ÷ cos ({}) − 1", half),
             fmt::format("1 ÷ cos {} − 1 = {:.2f} %", out.deg(j.lean), (j.rootTaller - 1) * 100), planeGeometry,
             takenFrom});
  braceFigures(w, out);
  crackFigures(w, out);
  jigRodFigures(w, out);
  endCutFigures(w, out);
}

namespace {

std::string lineKey(const std::string& line, std::size_t index) {
  return line == "LE" ? "le" : line == "TE" ? "te" : line == "TE front" ? "teFront" : fmt::format("spar{}", index);
}

void footFigures(const TruePanel& w, const RibSupports& rib, FigureList& out) {
  for (std::size_t k = 0; k < rib.feet.size(); ++k) {
    const Foot& foot = rib.feet[k];
    const bool front = k == 0;
    out.add({fmt::format("setup.{}.{}", rib.rib, front ? "footFront" : "footRear"),
             front ? "Front foot" : "Rear foot",
             foot.length,
             Quantity::length,
             Stage::joins,
             fmt::format("R{}, at its middle {} aft of the nose, board to the wood's edge", rib.rib,
                         out.len((foot.breakFrom.x() + foot.breakTo.x()) / 2)),
             "from the board to the wood, straight down as the panel is set up",
             fmt::format("the panel's lowest place stands {} over the board", out.len(w.settingUp.lift)),
             ruledLoft,
             {"join.feet", "join.footClearance", "join.footWidth"},
             false,
             rib.rib});
  }
}

void stripFigures(const TruePanel& w, FigureList& out) {
  const auto strips = taperedStrips(w.settingUp);
  for (std::size_t k = 0; k < strips.size(); ++k) {
    const TaperedStrip& s = strips[k];
    const std::string key = "strip." + lineKey(s.line, k) + ".";
    const std::vector<std::string> from{"join.datum", "panel.washout", "panel.span"};
    out.add({key + "root", fmt::format("Strip under {}, inner end", s.line), s.root, Quantity::length, Stage::joins,
             w.frame.ribs.front().name(), "height of the underside over the board there",
             fmt::format("tapers to {} over {}", out.len(s.tip), out.len(s.length)), ruledLoft, from});
    out.add({key + "tip", fmt::format("Strip under {}, outer end", s.line), s.tip, Quantity::length, Stage::joins,
             w.frame.ribs.back().name(), "height of the underside over the board there",
             fmt::format("a straight taper misses it by {} at R{}", out.len(s.worstOff), s.worstRib), ruledLoft, from});
    out.add(
        {key + "fence", fmt::format("Strip under {}, fence", s.line), s.fence, Quantity::angle, Stage::joins,
         "angle to turn the saw's fence by, + lower outwards", "atan((inner − outer height) ÷ length)",
         fmt::format("atan(({} − {}) ÷ {}) = {}", out.len(s.root), out.len(s.tip), out.len(s.length), out.deg(s.fence)),
         planeGeometry, from});
  }
}

/// What half a millimetre more packing does at one rib: at its nose or its tail it turns the rib about the other.
std::string wrong(const RibSupports& rib, std::size_t i, const FigureList& out) {
  constexpr double more = 0.5;
  const bool nose = i == 0, tail = i + 1 == rib.at.size();
  if (!nose && !tail) return "";
  const double turned = std::atan(more / (rib.at.back().x - rib.at.front().x));
  return fmt::format("; {} more there gives it {} {} washout", out.len(more), out.deg(turned), nose ? "less" : "more");
}

/// What half a millimetre too much does.
void errorFigures(const TruePanel& w, FigureList& out) {
  constexpr double wrong = 0.5;
  const Rib& tip = w.frame.ribs.back();
  const RibSupports& at = w.settingUp.ribs.back();
  const double between = (at.at.back().x - at.at.front().x) * std::cos(tip.frame.washout - w.settingUp.turn);
  const double turned = std::atan(wrong / between), lifted = std::asin(std::min(1.0, wrong / w.shape.loft.span()));
  out.add({"error.washout",
           "Washout, if TE packing is off",
           turned,
           Quantity::angle,
           Stage::joins,
           fmt::format("{}, TE packed {} too high in one half: that half has so much more washout than the other",
                       tip.name(), out.len(wrong)),
           "atan(error ÷ distance from LE to TE)",
           fmt::format("atan({} ÷ {}) = {}", out.len(wrong), out.len(between), out.deg(turned)),
           planeGeometry,
           {"panel.tipChord"}});
  out.add({"error.rise",
           "Panel turns, if the block is off",
           lifted,
           Quantity::angle,
           Stage::joins,
           fmt::format("block under {} {} too high: the two halves differ by so much", tip.name(), out.len(wrong)),
           "asin(error ÷ L)",
           fmt::format("asin({} ÷ {}) = {}", out.len(wrong), out.len(w.shape.loft.span()), out.deg(lifted)),
           planeGeometry,
           {"panel.span"}});
}

} // namespace

void settingUpFigures(const TruePanel& w, FigureList& out) {
  const SettingUp& s = w.settingUp;
  const std::string datum =
      (s.datum == Datum::undersideFlat ? "root underside flat" : "the wing's root chord level") +
      std::string(s.lift > 0 ? ", the panel on its feet" : ", lowest point of the panel on the board");
  for (const RibSupports& rib : s.ribs) {
    for (std::size_t i = 0; i < rib.at.size(); ++i) {
      const Support& at = rib.at[i];
      if (!at.there) continue;
      const std::string slope =
          fmt::format("slopes {} {} there", out.deg(std::abs(at.slope)), at.slope >= 0 ? "up aft" : "down aft");
      out.add({fmt::format("setup.{}.{}", rib.rib, lineKey(at.line, i)), fmt::format("Packing, {}", at.line), at.height,
               Quantity::length, Stage::joins,
               fmt::format("R{}, {} aft of the nose{}, board to underside", rib.rib, out.len(at.x),
                           i == 0 ? noseWords(w.design) : ""),
               "height of the underside over the board, " + datum,
               fmt::format("{}; pack with {}{}", slope,
                           stackText(stackFor(at.height, w.design.join.packing), w.design.unit), wrong(rib, i, out)),
               ruledLoft,
               i == 0 ? std::vector<std::string>{"join.datum", "panel.washout", "panel.washoutAxis", "join.packing",
                                                 "join.noseOn", "leadingEdge.width"}
                      : std::vector<std::string>{"join.datum", "panel.washout", "panel.washoutAxis", "join.packing"},
               at.line == "TE", rib.rib});
    }
    if (rib.at.front().there)
      out.add({fmt::format("setup.{}.nose", rib.rib),
               "Nose point of the chord line",
               rib.nose,
               Quantity::length,
               Stage::joins,
               fmt::format("R{}, board to the foremost end of its chord line: to line it up by, not to pack it by",
                           rib.rib),
               "height of the chord line's front end over the board, " + datum,
               fmt::format("the packing under the LE stands {} aft of it", out.len(rib.at.front().x)),
               ruledLoft,
               {"join.datum", "panel.washout", "panel.washoutAxis"},
               false,
               rib.rib});
    footFigures(w, rib, out);
  }
  stripFigures(w, out);
  errorFigures(w, out);
}

} // namespace eup
