// Figures of the centre join and of setting up.
#include "core/joins/end_cut.h"
#include "core/joins/packing.h"
#include "core/work/report_parts.h"
#include <fmt/format.h>

namespace eup {
namespace {

const char* underWhat(BlockAt at) {
  switch (at) {
  case BlockAt::leadingEdge:
    return "leading edge";
  case BlockAt::spar:
    return "main spar";
  case BlockAt::trailingEdge:
    return "trailing edge";
  }
  return "";
}

void braceFigures(const TruePanel& w, FigureList& out) {
  if (!w.join.brace) return;
  const Brace& b = *w.join.brace;
  const SparLine& line = w.spars[static_cast<std::size_t>(b.spar)];
  const std::string path = fmt::format("spars.{}", b.spar);
  const std::string name = w.design.spars[static_cast<std::size_t>(b.spar)].name;
  const bool centre = w.join.centre;
  const std::vector<std::string> from{"join.dihedral.rise", "join.dihedral.angle", path + ".rootFraction",
                                      path + ".tipFraction", "panel.tipSetback"};
  out.add({"brace.bend", "Brace bend", b.bend, Quantity::angle, Stage::joins,
           fmt::format("between the two legs, in the flat brace on the {}", name),
           centre ? "acos(cos²Λ cos 2Γ − sin²Λ), Λ the spar's sweep"
                  : "acos(u₁ · u₂), u = (sin Λ, cos Λ cos Γ, cos Λ sin Γ) of the spar in each panel",
           centre ? fmt::format("acos(cos²{0} × cos {1} − sin²{0}) = {2}", out.deg(line.sweep),
                                out.deg(2 * w.join.gamma), out.deg(b.bend))
                  : fmt::format("Λ {} and Γ {} outside, Γ {} inside: {}", out.deg(line.sweep), out.deg(w.join.gamma),
                                out.deg(w.join.gamma - 2 * w.join.fold), out.deg(b.bend)),
           "angle between the two spar directions", from, true});
  out.add({"brace.lean", "Brace leans", b.lean, Quantity::angle, Stage::joins,
           "out of the vertical, for a flat brace that holds both spar lines",
           centre ? "atan(tan Λ ÷ sin Γ)" : "of the plane through both spar directions",
           centre ? fmt::format("atan(tan {} ÷ sin {}) = {}", out.deg(std::abs(line.sweep)), out.deg(w.join.gamma),
                                out.deg(b.lean))
                  : fmt::format("= {}", out.deg(b.lean)),
           "solid geometry", from});
  const auto capBend = [&](const char* key, const char* label, double bend, const StraightLine& cap) {
    out.add(
        {key, label, bend, Quantity::angle, Stage::joins,
         fmt::format("between the caps of the {} that meet there", name),
         centre ? "angle between the cap's own line and its mirror image"
                : "angle between the caps' own lines of the two panels",
         fmt::format("over {} outwards the cap runs {} aft and {} up, then leans by Γ = {}", out.len(cap.span),
                     out.len(cap.tip.x() - cap.root.x()), out.len(cap.tip.y() - cap.root.y()), out.deg(w.join.gamma)),
         "solid geometry; differs from the brace's where the caps close in or turn: notch, dress or shape the "
         "brace for it",
         from});
  };
  capBend("brace.capTop", "Upper cap bends", b.capTopBend, line.upperSeat);
  capBend("brace.capBottom", "Lower cap bends", b.capBottomBend, line.lowerSeat);
  const auto leg = [&](const char* key, std::string label, const BraceLeg& l) {
    out.add({key,
             std::move(label),
             l.length,
             Quantity::length,
             Stage::joins,
             fmt::format("along the {} to R{}", name, l.toRib),
             "way from the join to that rib ÷ cos Λ",
             fmt::format("= {}", out.len(l.length)),
             planeGeometry,
             {"join.braceToRib"},
             true});
  };
  leg("brace.leg", centre ? "Brace leg" : "Brace leg outwards", b.outer);
  if (!centre) leg("brace.legInside", "Brace leg inwards", b.inner);
  const auto depth = [&](const char* key, std::string label, double value) {
    out.add({key,
             std::move(label),
             value,
             Quantity::length,
             Stage::joins,
             w.design.join.braceOver == BraceOver::faces ? "over the spar's faces" : "clear between the caps",
             w.design.join.braceOver == BraceOver::faces ? "outer depth of the spar"
                                                         : "outer depth of the spar less its caps",
             fmt::format("= {}", out.len(value)),
             ruledLoft,
             {path + ".top.depth", path + ".bottom.depth", "join.braceToRib"}});
  };
  depth("brace.depthRoot", "Brace depth at the join", b.depthRoot);
  depth("brace.depthEnd", fmt::format("Brace depth at R{}", b.outer.toRib), b.outer.depthEnd);
  if (!centre) depth("brace.depthEndInside", fmt::format("Brace depth at R{}", b.inner.toRib), b.inner.depthEnd);
}

/// How the strips that meet at the join are sawn, for this panel's root end.
void endCutFigures(const TruePanel& w, FigureList& out) {
  const double fold = w.join.fold, span = w.loft.span();
  const Point3 up(0, 0, 1), plane = joinPlane(fold, true);
  const ChordFrame root = w.loft.frameAt(0), tip = w.loft.frameAt(span);
  const std::vector<std::string> from{"join.dihedral.rise", "join.dihedral.angle", "panel.tipSetback"};
  const auto strip = [&](const std::string& key, const std::string& what, const Point& a, const Point& b) {
    const EndCut cut = endCut({b.x() - a.x(), span, b.y() - a.y()}, up, plane);
    const std::string runs = fmt::format("runs {} aft and {} up over {}; the join leans {}", out.len(b.x() - a.x()),
                                         out.len(b.y() - a.y()), out.len(span), out.deg(fold));
    out.add({"cut." + key + ".mitre", what + " end, mitre", cut.mitre, Quantity::angle, Stage::joins,
             "on its upper face, out of square to its length; + longer at the front",
             "where the plane that halves the join meets the face", runs, "solid geometry", from});
    out.add({"cut." + key + ".bevel", what + " end, bevel", cut.bevel, Quantity::angle, Stage::joins,
             "on its side face, out of upright; + longer below", "where the plane that halves the join meets the side",
             runs, "solid geometry", from});
    out.add({"cut." + key + ".tilt", what + " end, blade tilts", cut.tilt, Quantity::angle, Stage::joins,
             "of a saw that is set to the mitre, out of upright", "of the plane that halves the join to the face", runs,
             "solid geometry", from});
  };
  strip("le", "LE", root.le, tip.le);
  strip("te", "TE", root.te, tip.te);
  for (const SparLine& line : w.spars) {
    const std::string key = fmt::format("spar.{}", line.index + 1);
    const std::string& name = w.design.spars[static_cast<std::size_t>(line.index)].name;
    strip(key + ".top", fmt::format("Top of {},", name), line.upperSeat.root, line.upperSeat.tip);
    strip(key + ".bottom", fmt::format("Bottom of {},", name), line.lowerSeat.root, line.lowerSeat.tip);
  }
}

} // namespace

void joinFigures(const TruePanel& w, FigureList& out) {
  const PanelJoin& j = w.join;
  const double span = w.loft.span();
  const DihedralBy by = w.design.join.dihedral.by;
  const std::vector<std::string> from{"join.dihedral.rise", "join.dihedral.angle", "panel.span"};
  const char* at = underWhat(w.design.join.blockAt);
  const std::string folded = j.centre ? (j.otherFlat ? "2Γ" : "Γ") : "(Γ − Γ inside)";
  out.add(
      {"join.block",
       "Block under the tip",
       j.block.height,
       Quantity::length,
       Stage::joins,
       fmt::format("R{}, under the {}, board to underside", w.ribs.back().number, at),
       fmt::format("L sin {} and what the underside lies off the chord there, over {}", folded,
                   j.otherFlat ? (j.centre ? "the pinned half's board" : "the board that the panel inside is pinned to")
                               : "the root's lowest point"),
       fmt::format("{} × sin {} = {}; the underside and the washout there make it {}", out.len(span),
                   out.deg(j.onBoard), out.len(j.risePropped), out.len(j.block.height)),
       planeGeometry,
       {"join.dihedral.rise", "join.dihedral.angle", "join.blockAt", "join.propping", "panel.span", "panel.washout"},
       true});
  out.add({"join.blockOverRoot", "Same, over the root there", j.block.overRoot, Quantity::length, Stage::joins,
           fmt::format("underside at the {}, tip less root", at),
           "height of the tip's underside less that of the root's at the same place on the chord",
           fmt::format("at {:.0f} % of the chord", j.block.fraction * 100), planeGeometry, from});
  out.add({"join.rise", "Rise under the tip", j.rise, Quantity::length, Stage::joins,
           j.centre ? "chord line at the tip, both halves propped" : "chord line at the panel's tip over its root",
           by == DihedralBy::rise ? "as decided" : "L sin Γ",
           fmt::format("{} × sin {} = {}", out.len(span), out.deg(j.gamma), out.len(j.rise)), planeGeometry, from});
  out.add({"join.dihedral", j.centre ? "Dihedral" : "Panel to the horizontal", j.gamma, Quantity::angle, Stage::joins,
           j.centre ? "each half, to the horizontal" : "of the finished wing",
           by == DihedralBy::rise    ? "asin(rise ÷ L)"
           : by == DihedralBy::angle ? "as decided"
                                     : "acos(span from above ÷ L)",
           by == DihedralBy::projected
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
  const char* half = j.centre ? "Γ" : "half of Γ − Γ inside";
  out.add({"join.rootLean", "Root rib leans", j.fold, Quantity::angle, Stage::joins,
           w.design.join.rootLeans ? "out of square to the panel; the ribs that meet there are cut for it"
           : j.centre              ? "out of square to the panel; each end bevelled by this"
                                   : "out of square to the panel; both ends that meet are bevelled by this",
           half, fmt::format("{} = {}", half, out.deg(j.fold)), planeGeometry, from});
  out.add({"join.trim", "Trim at the top", j.trim, Quantity::length, Stage::joins,
           j.fold >= 0 ? "off the upper edge of each end" : "off the lower edge of each end",
           fmt::format("root depth × tan ({})", half),
           fmt::format("{} × tan {} = {}", out.len(j.rootDepth), out.deg(std::abs(j.fold)), out.len(j.trim)),
           planeGeometry, from});
  out.add({"join.rootTaller", "Root rib cut taller", j.rootTaller - 1, Quantity::percent, Stage::joins,
           "because it leans", fmt::format("1 ÷ cos ({}) − 1", half),
           fmt::format("1 ÷ cos {} − 1 = {:.2f} %", out.deg(j.fold), (j.rootTaller - 1) * 100), planeGeometry, from});
  braceFigures(w, out);
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
  const auto strips = taperedStrips(w.settingUp, w.ribs);
  for (std::size_t k = 0; k < strips.size(); ++k) {
    const TaperedStrip& s = strips[k];
    const std::string key = "strip." + lineKey(s.line, k) + ".";
    const std::vector<std::string> from{"join.datum", "panel.washout", "panel.span"};
    out.add({key + "root", fmt::format("Strip under {}, inner end", s.line), s.root, Quantity::length, Stage::joins,
             w.ribs.front().name(), "height of the underside over the board there",
             fmt::format("tapers to {} over {}", out.len(s.tip), out.len(s.length)), ruledLoft, from});
    out.add({key + "tip", fmt::format("Strip under {}, outer end", s.line), s.tip, Quantity::length, Stage::joins,
             w.ribs.back().name(), "height of the underside over the board there",
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
  const Rib& tip = w.ribs.back();
  const RibSupports& at = w.settingUp.ribs.back();
  const double between = (at.at.back().x - at.at.front().x) * std::cos(tip.frame.washout - w.settingUp.turn);
  const double turned = std::atan(wrong / between), lifted = std::asin(std::min(1.0, wrong / w.loft.span()));
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
           fmt::format("asin({} ÷ {}) = {}", out.len(wrong), out.len(w.loft.span()), out.deg(lifted)),
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
      const std::string slope = at.slope ? fmt::format("slopes {} {} there", out.deg(std::abs(*at.slope)),
                                                       *at.slope >= 0 ? "up aft" : "down aft")
                                         : "at the nose point of the chord line";
      out.add({fmt::format("setup.{}.{}", rib.rib, lineKey(at.line, i)),
               fmt::format("Packing, {}", at.line),
               at.height,
               Quantity::length,
               Stage::joins,
               fmt::format("R{}, {} aft of the nose, board to underside", rib.rib, out.len(at.x)),
               "height of the underside over the board, " + datum,
               fmt::format("{}; pack with {}{}", slope,
                           stackText(stackFor(at.height, w.design.join.packing), w.design.unit), wrong(rib, i, out)),
               ruledLoft,
               {"join.datum", "panel.washout", "panel.washoutAxis", "join.packing"},
               at.line == "TE",
               rib.rib});
    }
    footFigures(w, rib, out);
  }
  stripFigures(w, out);
  errorFigures(w, out);
}

} // namespace eup
