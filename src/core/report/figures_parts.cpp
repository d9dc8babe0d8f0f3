// Figures of all the pieces together.
#include "core/report/report_parts.h"
#include <fmt/format.h>

namespace eup {

void partsFigures(const WholeWing& wing, FigureList& out) {
  double grams = 0, pieces = 0;
  std::string byPanel, counted;
  for (std::size_t k = 0; k < wing.panels.size(); ++k) {
    const TruePanel& p = wing.panels[k];
    double here = gramsOf(p.parts), count = 0, own = 0;
    for (const Part& part : p.parts)
      if (!part.toldAs) count += part.count, own += part.shared ? 0 : part.count;
    if (wing.mirrored) {
      here += wing.other ? wing.other->grams[k] : here;
      count += wing.other ? wing.other->pieces[k] : own;
    }
    grams += here, pieces += count;
    byPanel +=
        fmt::format("{}{}", byPanel.empty() ? "" : " + ", told(here, Quantity::mass, wing.panels.front().design.unit));
    counted += fmt::format("{}{:.0f}", counted.empty() ? "" : " + ", count);
  }
  const std::string path = pathOf(wing.panels.front().design.id);
  out.add({"parts.mass",
           "All pieces weigh",
           grams,
           Quantity::mass,
           Stage::stock,
           wing.mirrored ? "both hands of this wing; no glue, paint or servo" : "this wing; no glue, paint or servo",
           "Σ volume × density",
           byPanel + (wing.panels.size() > 1 ? ", by panel from the middle outwards" : ""),
           "densities of the materials' table",
           {path + "ribs.thickness", path + "ribs.material"},
           true});
  out.add({"parts.pieces",
           "Pieces",
           pieces,
           Quantity::count,
           Stage::stock,
           "built into one wing; spares and further wings of a batch come on top",
           "counted",
           counted + (wing.panels.size() > 1 ? ", by panel" : ""),
           "the parts list",
           {"cutList.spares", "cutList.batch"},
           true});
}

/// Strips that are made of several lengths, and how deep edge strips have to be, to buy and rib by rib.
void stockFigures(const TruePanel& w, FigureList& out) {
  const CutList& order = w.design.cutList;
  for (const Part& part : w.parts) {
    if (part.toldAs) continue;
    const auto made = scarfed(part, order);
    if (!made) continue;
    std::string places;
    for (const double at : made->at) places += fmt::format("{}{}", places.empty() ? "" : ", ", out.len(at));
    out.add({"scarf." + part.key(),
             fmt::format("Scarf in the {}", part.name),
             made->at.front(),
             Quantity::length,
             Stage::stock,
             fmt::format("from its {} end to the scarf's middle; {} lengths, each scarf {} long",
                         part.shared ? "left" : "inner", made->lengths, out.len(made->scarf)),
             part.overJoins.empty()
                 ? "a whole length of stock less half the scarf; a bottom cap's a tenth shorter"
                 : "a whole length of stock less half the scarf, a bottom cap's a tenth shorter; none "
                   "lies in a bay beside a join that it runs over, nor within a brace there",
             fmt::format("{} to cut from stock of {}: at {}; scarf {:.4g} × {}", out.len(cutLength(part, order.trim)),
                         out.len(order.stock), places, order.scarf, out.len(part.stock.thickness)),
             "a slope of 8 to 12 to 1 is common practice",
             {"cutList.stock", "cutList.scarf", "cutList.trim"},
             true});
  }
  for (const SparLine& line : w.frame.spars)
    for (const bool top : {true, false}) {
      const Spar& spar = w.design.spars[static_cast<std::size_t>(line.index)];
      const Cap& cap = top ? spar.top : spar.bottom;
      const bool ripped = spar.kind == SparKind::caps && cap.fitted && cap.shape == CapShape::strip && cap.tapers;
      if (!ripped || cap.tipWidth >= cap.width) continue;
      const std::string path = fmt::format("spars.{}.{}.", line.index, top ? "top" : "bottom");
      const double over = line.end * line.stretch * (1 - cap.taperFrom), off = cap.width - cap.tipWidth;
      out.add({fmt::format("fence.spar.{}.{}", line.index + 1, top ? "top" : "bottom"),
               fmt::format("Fence for the {}, {} cap", spar.name, top ? "top" : "bottom"),
               std::atan(off / over),
               Quantity::angle,
               Stage::stock,
               fmt::format("saw's fence set off {} over {}; turn alternate strips end for end, so that none is wasted",
                           out.len(off), out.len(over)),
               "atan((inner − outer width) ÷ length of the taper)",
               fmt::format("atan(({} − {}) ÷ {})", out.len(cap.width), out.len(cap.tipWidth), out.len(over)),
               planeGeometry,
               {path + "width", path + "tipWidth", path + "taperFrom"},
               true});
    }
  const PanelLoft& loft = w.shape.loft;
  const auto planed = [&](const char* which, const char* label, double onRib, bool leading, const char* decision) {
    for (const Rib& rib : w.frame.ribs) {
      const double t = std::clamp(rib.t(), 0.0, loft.span()), chord = loft.frameAt(t).chord,
                   f = std::clamp(leading ? onRib / chord : 1 - onRib / chord, 0.0, 1.0),
                   deep = loft.at(Face::upper, f, t).y() - loft.at(Face::lower, f, t).y();
      out.add({fmt::format("rib.{}.{}", rib.number, which),
               label,
               deep,
               Quantity::length,
               Stage::stock,
               fmt::format("{}, at the {} of the strip, over both faces", rib.name(), leading ? "back" : "front"),
               "depth of the section there",
               fmt::format("{:.2f} % of the chord of {}", 100 * f, out.len(chord)),
               ruledLoft,
               {decision},
               false,
               rib.number});
    }
  };
  if (w.design.leadingEdge.kind == LeadingEdgeKind::square || w.design.leadingEdge.kind == LeadingEdgeKind::shaped)
    planed("lePlaned", "LE planed to", w.design.leading.onRib(), true, "leadingEdge.width");
  if (const LeadingEdge& le = w.design.leadingEdge; le.kind == LeadingEdgeKind::square && le.proud > 0)
    for (const Part& part : w.parts)
      if (part.what() == Part::What::leadingEdge)
        for (const Rib& rib : w.frame.ribs) {
          const double t = std::clamp(rib.t(), 0.0, loft.span()), chord = loft.frameAt(t).chord,
                       f = std::clamp(w.design.leading.onRib() / chord, 0.0, 1.0),
                       deep = loft.at(Face::upper, f, t).y() - loft.at(Face::lower, f, t).y();
          out.add({fmt::format("rib.{}.leProud", rib.number),
                   "LE stands proud by",
                   (part.stock.thickness - deep) / 2,
                   Quantity::length,
                   Stage::stock,
                   fmt::format("{}, above and below at the back of the strip, before it is planed", rib.name()),
                   "(depth of the strip as bought − depth of the section there) ÷ 2",
                   fmt::format("({} − {}) ÷ 2", out.len(part.stock.thickness), out.len(deep)),
                   "left proud and planed to the ribs: common practice",
                   {"leadingEdge.proud", "leadingEdge.width"},
                   false,
                   rib.number});
        }
  if (w.design.trailingEdge.kind == TrailingEdgeKind::wedge)
    planed("tePlaned", "TE planed to", w.design.trailing.onRib(), false, "trailingEdge.width");
  if (w.design.trailingEdge.kind == TrailingEdgeKind::twoSheets)
    for (const bool root : {true, false}) {
      const double t = root ? 0 : loft.span(),
                   between =
                       std::abs(std::atan(loft.slope(Face::lower, 1, t)) - std::atan(loft.slope(Face::upper, 1, t))),
                   sheet = w.design.trailingEdge.sheet, bevel = between / 2;
      if (bevel < 1e-3) continue;
      out.add({root ? "te.bevelRoot" : "te.bevelTip",
               root ? "TE sheets close, at the root" : "TE sheets close, at the tip",
               bevel,
               Quantity::angle,
               Stage::stock,
               fmt::format("bevel on the inside of each sheet, {} wide", out.len(sheet / std::tan(bevel))),
               "half the angle between the faces at the tail; width sheet ÷ tan of it",
               fmt::format("{} ÷ 2; {} ÷ tan {}", out.deg(between), out.len(sheet), out.deg(bevel)),
               planeGeometry,
               {"trailingEdge.sheet"},
               true});
    }
}

} // namespace eup
