// Figures of the centre join and of setting up.
#include "core/design/decisions.h"
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

void braceFigures(const TrueWing& w, FigureList& out) {
  if (!w.join.brace) return;
  const Brace& b = *w.join.brace;
  const SparLine& line = w.spars[static_cast<std::size_t>(b.spar)];
  const std::string path = fmt::format("spars.{}", b.spar);
  const std::string name = w.design.spars[static_cast<std::size_t>(b.spar)].name;
  const std::vector<std::string> from{"join.dihedral.rise", "join.dihedral.angle", path + ".rootFraction",
                                      path + ".tipFraction", "panel.tipSetback"};
  out.add({"brace.bend", "Brace bend", b.bend, Quantity::angle, Stage::joins,
           fmt::format("between the two legs, in the flat brace on the {}", name),
           "acos(cos²Λ cos 2Γ − sin²Λ), Λ the spar's sweep",
           fmt::format("acos(cos²{0} × cos {1} − sin²{0}) = {2}", out.deg(line.sweep), out.deg(2 * w.join.gamma),
                       out.deg(b.bend)),
           "angle between the two spar directions", from, true});
  out.add(
      {"brace.lean", "Brace leans", b.lean, Quantity::angle, Stage::joins,
       "out of the vertical, for a flat brace that holds both spar lines", "atan(tan Λ ÷ sin Γ)",
       fmt::format("atan(tan {} ÷ sin {}) = {}", out.deg(std::abs(line.sweep)), out.deg(w.join.gamma), out.deg(b.lean)),
       "solid geometry", from});
  const auto capBend = [&](const char* key, const char* label, double bend, const StraightLine& cap) {
    out.add(
        {key, label, bend, Quantity::angle, Stage::joins, fmt::format("between the two halves' caps of the {}", name),
         "angle between the cap's own line and its mirror image",
         fmt::format("over {} outwards the cap runs {} aft and {} up, then leans by Γ = {}", out.len(cap.span),
                     out.len(cap.tip.x() - cap.root.x()), out.len(cap.tip.y() - cap.root.y()), out.deg(w.join.gamma)),
         "solid geometry; differs from the brace's where the caps close in or turn: notch, dress or shape the brace "
         "for it",
         from});
  };
  capBend("brace.capTop", "Upper cap bends", b.capTopBend, line.upperSeat);
  capBend("brace.capBottom", "Lower cap bends", b.capBottomBend, line.lowerSeat);
  out.add({"brace.leg",
           "Brace leg",
           b.leg,
           Quantity::length,
           Stage::joins,
           fmt::format("along the {} to R{}", name, b.toRib),
           "station of that rib ÷ cos Λ",
           fmt::format("{} ÷ cos {} = {}", out.len(w.ribs[static_cast<std::size_t>(b.toRib - 1)].t()),
                       out.deg(line.sweep), out.len(b.leg)),
           planeGeometry,
           {"join.braceToRib"},
           true});
  out.add({"brace.depthRoot",
           "Brace depth at the join",
           b.depthRoot,
           Quantity::length,
           Stage::joins,
           "clear between the caps",
           "outer depth of the spar less its caps",
           "",
           ruledLoft,
           {path + ".top.depth", path + ".bottom.depth"}});
  out.add({"brace.depthEnd",
           fmt::format("Brace depth at R{}", b.toRib),
           b.depthEnd,
           Quantity::length,
           Stage::joins,
           "clear between the caps",
           "outer depth of the spar less its caps",
           "",
           ruledLoft,
           {path + ".top.depth", path + ".bottom.depth", "join.braceToRib"}});
}

} // namespace

void joinFigures(const TrueWing& w, FigureList& out) {
  const CentreJoin& j = w.join;
  const double span = w.loft.span();
  const bool byRise = w.design.join.dihedral.by == DihedralBy::rise,
             oneFlat = w.design.join.propping == Propping::oneFlat;
  const std::vector<std::string> from{"join.dihedral.rise", "join.dihedral.angle", "panel.halfSpan"};
  const char* at = underWhat(w.design.join.blockAt);
  const double onBoard = oneFlat ? 2 * j.gamma : j.gamma;
  out.add({"join.block",
           "Block under the tip",
           j.block.height,
           Quantity::length,
           Stage::joins,
           fmt::format("R{}, under the {}, board to underside", w.ribs.size(), at),
           oneFlat ? "L sin 2Γ and what the underside lies off the chord there, over the pinned half's board"
                   : "L sin Γ and what the underside lies off the chord there, over the root's lowest point",
           fmt::format("{} × sin {} = {}; the underside and the washout there make it {}", out.len(span),
                       out.deg(onBoard), out.len(j.risePropped), out.len(j.block.height)),
           planeGeometry,
           {"join.dihedral.rise", "join.dihedral.angle", "join.blockAt", "join.propping", "panel.halfSpan",
            "panel.washout"},
           true});
  out.add({"join.blockOverRoot", "Same, over the root there", j.block.overRoot, Quantity::length, Stage::joins,
           fmt::format("underside at the {}, tip less root", at),
           "height of the tip's underside less that of the root's at the same place on the chord",
           fmt::format("at {:.0f} % of the chord", j.block.fraction * 100), planeGeometry, from});
  out.add({"join.rise", "Rise under the tip", j.rise, Quantity::length, Stage::joins,
           "chord line at the tip, both halves propped", byRise ? "as decided" : "L sin Γ",
           fmt::format("{} × sin {} = {}", out.len(span), out.deg(j.gamma), out.len(j.rise)), planeGeometry, from});
  out.add({"join.dihedral", "Dihedral", j.gamma, Quantity::angle, Stage::joins, "each half, to the horizontal",
           byRise ? "asin(rise ÷ L)" : "as decided",
           fmt::format("asin({} ÷ {}) = {}", out.len(j.rise), out.len(span), out.deg(j.gamma)), planeGeometry, from,
           true});
  if (oneFlat)
    out.add({"join.riseOneFlat", "Rise, other half flat", j.risePropped, Quantity::length, Stage::joins,
             "chord line at the propped tip", "L sin 2Γ",
             fmt::format("{} × sin {} = {}", out.len(span), out.deg(2 * j.gamma), out.len(j.risePropped)),
             planeGeometry, from});
  out.add({"join.rootLean", "Root rib leans", j.gamma, Quantity::angle, Stage::joins,
           "out of square to the panel; each end bevelled by this", "Γ", fmt::format("Γ = {}", out.deg(j.gamma)),
           planeGeometry, from});
  out.add({"join.trim", "Trim at the top", j.trim, Quantity::length, Stage::joins,
           "off the upper edge of each half's end", "root depth × tan Γ",
           fmt::format("{} × tan {} = {}", out.len(j.rootDepth), out.deg(j.gamma), out.len(j.trim)), planeGeometry,
           from});
  out.add({"join.rootTaller", "Root rib cut taller", j.rootTaller - 1, Quantity::percent, Stage::joins,
           "because it leans", "1 ÷ cos Γ − 1",
           fmt::format("1 ÷ cos {} − 1 = {:.2f} %", out.deg(j.gamma), (j.rootTaller - 1) * 100), planeGeometry, from});
  braceFigures(w, out);
}

void settingUpFigures(const TrueWing& w, FigureList& out) {
  const SettingUp& s = w.settingUp;
  const std::string datum = s.datum == Datum::undersideFlat
                                ? "root underside flat on the board"
                                : "root chord level, lowest point of the panel on the board";
  for (const RibSupports& rib : s.ribs)
    for (std::size_t i = 0; i < rib.at.size(); ++i) {
      const Support& at = rib.at[i];
      std::string line = at.line == "LE"         ? "le"
                         : at.line == "TE"       ? "te"
                         : at.line == "TE front" ? "teFront"
                                                 : fmt::format("spar{}", i);
      out.add({fmt::format("setup.{}.{}", rib.rib, line),
               fmt::format("Packing, {}", at.line),
               at.height,
               Quantity::length,
               Stage::joins,
               fmt::format("R{}, {} aft of the nose, board to underside", rib.rib, out.len(at.x)),
               "height of the underside over the board, " + datum,
               at.slope ? fmt::format("slopes {} {} there", out.deg(std::abs(*at.slope)),
                                      *at.slope >= 0 ? "up aft" : "down aft")
                        : "at the nose point of the chord line",
               ruledLoft,
               {"join.datum", "panel.washout", "panel.washoutAxis"},
               at.line == "TE",
               rib.rib});
    }
}

std::vector<Figure> allFigures(const TrueWing& w) {
  FigureList out(w.design.unit);
  out.all.reserve(100 + w.ribs.size() * 20);
  planFigures(w, out);
  sectionFigures(w, out);
  panelFigures(w, out);
  ribFigures(w, out);
  sparFigures(w, out);
  joinFigures(w, out);
  settingUpFigures(w, out);
  return std::move(out.all);
}

} // namespace eup
