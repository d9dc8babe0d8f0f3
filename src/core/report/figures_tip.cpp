// Figures of riblets and of the tip.
#include "core/parts/panel_parts.h"
#include "core/report/bend_figure.h"
#include "core/report/report_parts.h"
#include <fmt/format.h>

namespace eup {
namespace {

void ribletFigures(const TruePanel& w, FigureList& out) {
  for (const Rib& r : w.frame.riblets) {
    if (r.bay > 1 || r.kind == RibKind::crossing) continue; // the others of a bay lie between it and the next
    const double long_ = boundsOf(r.wood).width();
    const bool spar = w.design.riblets.to == SheetEdge::spar;
    out.add({fmt::format("rib.{}.riblet", r.number),
             "Riblet beyond it",
             long_,
             Quantity::length,
             Stage::ribs,
             fmt::format("{} at {} from {}, along the chord line; {} thick", r.name(), out.len(r.t()),
                         innerEnd(w.design), out.len(r.thickness)),
             spar ? "from the leading edge stock to the spar's front face" : "from the leading edge stock to its end",
             fmt::format("ends {} from the nose, {:.1f} % of the chord there",
                         out.len(ribletEnd(w.design, w.frame.spars, r)),
                         100 * ribletEnd(w.design, w.frame.spars, r) / r.frame.chord),
             ruledLoft,
             {"riblets.inBay", spar ? "riblets.spar" : "riblets.fraction"},
             false,
             r.number});
  }
}

/// Heights over the board at which an outline or a bow is held while it is glued to the tip rib.
void restFigures(const TruePanel& w, FigureList& out) {
  const Tip& t = w.design.tip;
  const double deep = t.kind == TipKind::bow ? t.bowWidth : t.thickness;
  for (std::size_t i = 0; i < w.tip->rests.size(); ++i) {
    const TipRest& rest = w.tip->rests[i];
    const double under = underTipRest(w.design, w.shape.loft, w.settingUp, rest), middle = under + deep / 2;
    out.add({fmt::format("tip.packing.{}", i + 1),
             fmt::format("Packing under the tip, {}", rest.where),
             under,
             Quantity::length,
             Stage::joins,
             "board to the underside of its stock, so that its middle meets the tip rib's chord line",
             "height of the chord line, the edge raised as decided, less half the stock",
             fmt::format("{} − {} ÷ 2 = {}", out.len(middle), out.len(deep), out.len(under)),
             ruledLoft,
             {"tip.thickness", "tip.raised", "join.datum"},
             true});
  }
}

void bowFigures(const TruePanel& w, FigureList& out) {
  const TipShape& tip = *w.tip;
  const Tip& t = w.design.tip;
  out.add({"tip.longest",
           "Longest strip of the tip",
           tip.longest,
           Quantity::length,
           Stage::panels,
           "the outermost, along its outer face; leave it longer to hold by",
           "length of the tip's edge",
           fmt::format("two quarters of ellipses, {} deep and {} along the chord: {}", out.len(t.reach),
                       out.len(w.design.panel.tipChord), out.len(tip.longest)),
           planeGeometry,
           {"tip.reach", "tip.farthest", "panel.tipChord"},
           true});
  out.add({"tip.shortest",
           "Innermost strip",
           tip.shortest,
           Quantity::length,
           Stage::panels,
           "along its outer face; the form stands inside it by its thickness",
           "length of the edge moved in",
           fmt::format("{} strips of {}: moved in by {}", t.strips, out.len(t.thickness),
                       out.len(t.thickness * (t.strips - 1))),
           planeGeometry,
           {"tip.strips", "tip.thickness", "tip.reach"}});
  const Material& wood = w.design.tables.named(t.runsOn ? w.design.trailingEdge.material : tipWood);
  bendFigure("tip.bend", "Sharpest bend of the tip's strips", tip.bend, t.thickness, wood, dryBend(wood),
             "outer face of the outermost strip, on the form", {"tip.reach", "tip.thickness", "tip.springBack"},
             Stage::panels, out);
  if (t.springBack > 0)
    out.add({"tip.form",
             "Form is bent further by",
             1 / (1 - t.springBack) - 1,
             Quantity::percent,
             Stage::panels,
             "everywhere, lengths along it kept; after drying the tip opens to its outline",
             "1 ÷ (1 − what springs back) − 1",
             fmt::format("1 ÷ (1 − {:.2f}) − 1 = {:.1f} %", t.springBack, 100 * (1 / (1 - t.springBack) - 1)),
             "curvature springs back in proportion; the share is common practice: try one strip and measure it",
             {"tip.springBack"},
             true});
}

} // namespace

void tipFigures(const TruePanel& w, FigureList& out) {
  ribletFigures(w, out);
  if (!w.tip) return;
  const TipShape& tip = *w.tip;
  const bool rounded = w.design.tip.kind == TipKind::rounded;
  for (std::size_t i = 0; tip.pieces.size() > 1 && i < tip.pieces.size(); ++i)
    out.add({fmt::format("tip.piece.{}", i + 1),
             fmt::format("Tip, piece {}: sheet at least", i + 1),
             tip.pieces[i].breadth,
             Quantity::length,
             Stage::panels,
             fmt::format("across its grain; {} along it", out.len(tip.pieces[i].length)),
             "the piece's breadth square to the line between the ends of its outer edge",
             fmt::format("grain {} out of the chord line", out.deg(tip.pieces[i].grain)),
             w.design.tip.joint == TipJoint::scarf ? "scarfs twice as long as the pieces are wide: common practice"
                                                   : planeGeometry,
             {"tip.pieces", "tip.width"},
             true});
  if (tip.area > 0) {
    const bool own = w.design.tip.kind == TipKind::own;
    const std::string area = told(tip.area, Quantity::area, w.design.unit);
    out.add({"tip.area",
             "Area of a tip",
             tip.area,
             Quantity::area,
             Stage::panels,
             w.sheet ? "beyond the last station, one hand" : "beyond the tip rib, one hand",
             own       ? "Σ of the triangles under its outline"
             : rounded ? "chord × radius − (2 − π ÷ 2) × radius²"
                       : "π ÷ 4 × chord × reach",
             own ? fmt::format("{} places from LE to TE, {} out at most: {}", w.design.tip.outline.size(),
                               out.len(tip.reach), area)
                 : fmt::format("{} and {}: {}", out.len(w.design.panel.tipChord), out.len(tip.reach), area),
             own       ? (w.design.tip.rounding ? "centripetal Catmull-Rom curve through the places" : planeGeometry)
             : rounded ? "two quarters of circles"
                       : "two quarters of ellipses",
             {own       ? "tip.outline"
              : rounded ? "tip.radius"
                        : "tip.reach",
              own ? "tip.rounding" : "panel.tipChord"}});
  }
  if (w.design.tip.kind == TipKind::bow) bowFigures(w, out);
  if (!w.sheet && (w.design.tip.kind == TipKind::block || rounded))
    out.add({"tip.block",
             "Tip block, depth",
             w.frame.ribs.back().depth + std::abs(w.design.tip.raised),
             Quantity::length,
             Stage::panels,
             fmt::format("blank {} along the chord, {} outwards", out.len(w.design.panel.tipChord), out.len(tip.reach)),
             "tip section's depth, and what its edge is raised",
             fmt::format("{} + {}", out.len(w.frame.ribs.back().depth), out.len(std::abs(w.design.tip.raised))),
             planeGeometry,
             {"tip.reach", "tip.raised", "panel.tipChord"},
             true});
  if (w.design.built == Built::ribs) restFigures(w, out);
}

} // namespace eup
