// Figures of each rib.
#include "core/assembly/part_words.h"
#include "core/design/tables.h"
#include "core/report/report_parts.h"
#include <fmt/format.h>

namespace eup {
namespace {

const std::vector<std::string> planDecisions{"panel.rootChord", "panel.tipChord",    "panel.tipSetback",
                                             "panel.washout",   "panel.washoutAxis", "panel.span"};

const Spar& sparOf(const TruePanel& w, int index) {
  return w.design.spars[static_cast<std::size_t>(index)];
}

void frameFigures(const TruePanel& w, const Rib& rib, FigureList& out) {
  const auto key = [&](const char* what) { return fmt::format("rib.{}.{}", rib.number, what); };
  const double share = rib.t() / w.shape.loft.span();
  const ChordFrame& f = rib.frame;
  const std::string at = fmt::format("{} at {} from {}{}", rib.name(), out.len(rib.t()), innerEnd(w.design),
                                     rib.turn != 0 ? ", in its own turned plane" : "");
  const Point run = f.te - f.le;
  out.add({key("chord"), "Chord", f.chord, Quantity::length, Stage::ribs, at,
           "distance from leading to trailing edge on the straight lines of the panel",
           fmt::format("{:.4f} of the way out: √({}² + {}²) = {}", share, out.len(run.x()), out.len(run.y()),
                       out.len(f.chord)),
           ruledLoft, planDecisions, true, rib.number});
  out.add({key("washout"), "Washout", f.washout, Quantity::angle, Stage::ribs, at,
           "angle of this rib's chord line to the root's, nose down",
           fmt::format("atan({} ÷ {}) = {}; a straight rule of three would say {:.2f}°", out.len(run.y()),
                       out.len(run.x()), out.deg(f.washout), w.design.panel.washoutDeg * share),
           ruledLoft, planDecisions, false, rib.number});
  out.add({key("depth"),
           "Depth, bare section",
           rib.depth,
           Quantity::length,
           Stage::ribs,
           at,
           "greatest depth square to the chord line",
           "measured on the cut through the panel",
           ruledLoft,
           {"sections.root.kind", "sections.tip.kind", "panel.rootChord", "panel.tipChord"},
           false,
           rib.number});
}

/// How far a rib is turned, and where it is half-lapped with those that cross it.
/// Behind a slot's width.
std::string filed(double bevel, LengthUnit unit) {
  const std::string words = filedWords(bevel, unit);
  return words.empty() ? words : ", its sides " + words;
}

void turnFigures(const TruePanel& w, const Rib& rib, FigureList& out) {
  const auto key = [&](const std::string& what) { return fmt::format("rib.{}.{}", rib.number, what); };
  const bool crossing = rib.kind == RibKind::crossing;
  const Point3 nose = rib.inPanel({0, 0}), tail = rib.inPanel({rib.frame.chord, 0});
  if (rib.turn != 0)
    out.add({key(crossing ? "crossTurn" : "turn"),
             crossing ? "Crossing rib, tail outwards" : "Tail outwards",
             rib.turn,
             Quantity::angle,
             Stage::ribs,
             fmt::format("{}: its nose at {}, its tail at {} from {}", rib.name(), out.len(nose.y()), out.len(tail.y()),
                         innerEnd(w.design)),
             "out of the flight's direction, on the plan",
             fmt::format("it crosses the first spar's line at {}", out.len(rib.t())),
             planeGeometry,
             {"ribs.direction", "ribs.angle"},
             false,
             rib.number});
  for (std::size_t i = 0; i < rib.laps.size(); ++i) {
    const Lap& lap = rib.laps[i];
    out.add({key(fmt::format("{}.{}", crossing ? "crossLap" : "lap", i + 1)),
             crossing ? "Half-lap of the crossing rib" : "Half-lap",
             lap.x,
             Quantity::length,
             Stage::ribs,
             fmt::format("{}, its middle from the nose; {} wide{}, from {} to the middle of the depth", rib.name(),
                         out.len(lap.width), filed(lap.bevel, w.design.unit), lap.fromAbove ? "above" : "below"),
             "where the two ribs' lines cross on the plan",
             fmt::format("{:.2f} % of the chord; it ends {} over the chord line", 100 * lap.x / rib.frame.chord,
                         out.len(lap.middle)),
             planeGeometry,
             {"ribs.crossing", "ribs.angle", "ribs.thickness", "ribs.slotCut"},
             false,
             rib.number});
  }
}

void woodFigures(const TruePanel& w, const Rib& rib, FigureList& out) {
  const auto key = [&](const char* what) { return fmt::format("rib.{}.{}", rib.number, what); };
  const Material& wood = w.design.tables.named(woodOf(w.design.ribs, rib));
  const double grams = rib.cutArea * rib.thickness * wood.density * 1e-6;
  out.add({key("area"),
           "Wood in the rib",
           rib.cutArea,
           Quantity::area,
           Stage::ribs,
           rib.name(),
           "area left after every cut",
           fmt::format("bare {} less {}", told(rib.bareArea, Quantity::area, w.design.unit),
                       told(rib.bareArea - rib.cutArea, Quantity::area, w.design.unit)),
           planeGeometry,
           {"ribs.thickness", "sheeting.thickness", "capStrips.thickness"},
           false,
           rib.number});
  out.add({key("mass"),
           "Mass",
           grams,
           Quantity::mass,
           Stage::ribs,
           rib.name(),
           "area × thickness × density",
           fmt::format("{:.0f} mm² × {} mm × {:.0f} kg/m³ ({}) = {:.2f} g", rib.cutArea, rib.thickness, wood.density,
                       wood.label, grams),
           wood.source,
           {"ribs.thickness", "ribs.material"},
           false,
           rib.number});
  const auto sheet = [&](const char* what, const char* label, Face face, std::vector<std::string> from) {
    const bool top = face == Face::upper;
    const double along = (top ? rib.upperRun : rib.lowerRun).sheetArc;
    if (along <= 0) return;
    const double across = sheetAcross(w.shape.loft, rib, face);
    out.add(
        {key(what), label, across, Quantity::length, Stage::ribs,
         fmt::format("on the flat sheet, square to the leading edge, from the nose round the {} surface to the sheet's "
                     "edge at {}",
                     top ? "upper" : "lower", rib.name()),
         "length of the bare surface from the leading edge point, each step by what of it lies across that edge",
         fmt::format("{} along the rib; the leading edge is swept {}", out.len(along), out.deg(w.design.leading.sweep)),
         planeGeometry, std::move(from), false, rib.number});
  };
  sheet("sheetTop", "Sheet width, top", Face::upper, {"sheeting.top", "sheeting.fraction", "sheeting.to"});
  sheet("sheetBottom", "Sheet width, below", Face::lower, {"sheeting.bottom", "sheeting.fraction", "sheeting.to"});
}

void notchFigures(const TruePanel& w, const Rib& rib, FigureList& out) {
  for (const SparLine& line : w.frame.spars) {
    const int k = line.index;
    const std::string path = fmt::format("spars.{}", k), name = sparOf(w, k).name;
    const double x = rib.sparX[static_cast<std::size_t>(k)];
    out.add({fmt::format("rib.{}.spar.{}.x", rib.number, k + 1),
             fmt::format("{}, from the nose", name),
             x,
             Quantity::length,
             Stage::ribs,
             "centre line, along the chord line",
             "the straight line from root to tip meets the rib's plane",
             fmt::format("{:.2f} % at the root, {:.2f} % at the tip, {:.2f} % here", line.rootFraction * 100,
                         line.tipFraction * 100, x / rib.frame.chord * 100),
             planeGeometry,
             {path + ".rootFraction", path + ".tipFraction"},
             false,
             rib.number});
  }
  for (const Notch& n : rib.notches) {
    const bool up = n.face == Face::upper;
    const std::string path = fmt::format("spars.{}.{}", n.spar, up ? "top" : "bottom"), name = sparOf(w, n.spar).name;
    const SparLine& line = w.frame.spars[static_cast<std::size_t>(n.spar)];
    const double inner = rib.frame.fromChord(n.bottom).y();
    const double surface = up ? inner + n.depth : inner - n.depth;
    out.add(
        {fmt::format("rib.{}.spar.{}.{}", rib.number, n.spar + 1, up ? "notchTop" : "notchBottom"),
         fmt::format("{} notch, {}", up ? "Top" : "Bottom", name),
         n.depth,
         Quantity::length,
         Stage::ribs,
         fmt::format("from the bare rib at the notch's middle, upright; {} under the cover", out.len(n.underCover)),
         "surface of the panel to the inner face of the straight cap",
         fmt::format("{} − {} = {} above the root chord; cap {} deep", out.len(up ? surface : inner),
                     out.len(up ? inner : surface), out.len(n.depth),
                     out.len((up ? sparOf(w, n.spar).top : sparOf(w, n.spar).bottom).depth)),
         fmt::format("straight cap from root to tip; leaves the panel's surface by at most {}", out.len(line.worstGap)),
         {path + ".depth", "sheeting.thickness", fmt::format("spars.{}.rootFraction", n.spar),
          fmt::format("spars.{}.tipFraction", n.spar)},
         true,
         rib.number});
  }
  for (const Slot& s : rib.slots) {
    const std::string path = fmt::format("spars.{}", s.spar), name = sparOf(w, s.spar).name;
    out.add({fmt::format("rib.{}.spar.{}.slot", rib.number, s.spar + 1),
             fmt::format("Slot, {}", name),
             s.depth,
             Quantity::length,
             Stage::ribs,
             "from the bare rib at the slot's middle, upright",
             "half of the spar's depth, and the cover above it",
             fmt::format("{} wide{}, to the spar's middle line", out.len(s.width), filed(s.bevel, w.design.unit)),
             "half in the rib, half in the spar (common practice)",
             {path + ".sheet", path + ".ribSlot", "ribs.slotCut"},
             true,
             rib.number});
  }
}

/// Where the edges do not run square to the ribs: what is planed off ribs and stock so that they lie on each other.
void bevelFigures(const TruePanel& w, FigureList& out) {
  const PanelBrief& d = w.design;
  double turn = 0;
  for (const Rib& rib : w.frame.ribs)
    if (rib.kind == RibKind::main) turn = rib.turn;
  const auto bevel = [&](const char* key, const char* label, double angle, const char* edge, double thickness,
                         const char* whichRibs, std::vector<std::string> from) {
    const double off = thickness * std::tan(std::abs(angle));
    constexpr double seen = 0.1; // mm: less is sanded off unseen
    if (off < seen) return;
    out.add({key, label, angle, Quantity::angle, Stage::ribs,
             fmt::format("of {}, out of square to their faces, {} over a thickness of {}; + longer on the {} face",
                         whichRibs, out.len(off), out.len(thickness), edge[0] == 'l' ? "inner" : "outer"),
             fmt::format("sweep of the {}{}", edge, turn != 0 ? " and the rib's own turn" : ""),
             fmt::format("atan(aft ÷ span) and the turn: {}", out.deg(angle)), planeGeometry, std::move(from)});
  };
  if (d.leading.width > 0) {
    bevel("ribs.noseBevel", "Noses bevelled by", d.leading.sweep + turn, "leading edge", d.ribs.thickness,
          "the ribs between the end ribs", {"panel.tipSetback", "panel.span", "ribs.direction"});
    const double twist = w.shape.loft.frameAt(w.shape.loft.span()).washout - w.shape.loft.frameAt(0).washout;
    if (std::abs(twist) > degToRad(0.1))
      out.add({"le.backTurns",
               "Back of the LE turns by",
               twist,
               Quantity::angle,
               Stage::ribs,
               "from the panel's inner end to its outer end, so that it stands square to every chord line; + nose down",
               "washout at the outer end less that at the inner one",
               fmt::format("plane the back of a straight strip to it, or let the strip turn: {}", out.deg(twist)),
               ruledLoft,
               {"panel.washout"}});
  }
  if (d.trailing.width > 0)
    bevel("ribs.tailBevel", "Tails bevelled by", d.trailing.sweep + turn, "trailing edge", d.ribs.thickness,
          "the ribs between the end ribs", {"panel.tipSetback", "panel.tipChord", "panel.span", "ribs.direction"});
}

} // namespace

void ribFigures(const TruePanel& w, FigureList& out) {
  for (const Rib& rib : w.frame.ribs) {
    frameFigures(w, rib, out);
    turnFigures(w, rib, out);
    notchFigures(w, rib, out);
    woodFigures(w, rib, out);
  }
  for (const Rib& rib : w.frame.riblets)
    if (rib.kind == RibKind::crossing) turnFigures(w, rib, out);
  bevelFigures(w, out);
}

} // namespace eup
