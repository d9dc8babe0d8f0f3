#include "core/report/plate_figures.h"
#include <algorithm>

namespace eup {

void plateFigures(const TruePanel& w, const PlateTold& told, FigureList& out) {
  const Strength& bending = w.strength.bending;
  const EdgeStrength& plate = bending.edges.front();
  out.add({told.key + "stiffness", "Bends with, at the root", bending.rootStiffness, Quantity::stiffness, told.stage,
           fmt::format("of the whole section at {}", innerEnd(w.design)),
           fmt::format("Σ E (I + A d²) of {} about their common axis", told.layers),
           fmt::format("{:.4g} N·mm²", bending.rootStiffness), "transformed section", told.stiffBy});
  if (plate.worstReserve < 1e8)
    out.add({told.key + "reserve", fmt::format("{}'s reserve", told.bears), plate.worstReserve, Quantity::ratio,
             told.stage,
             fmt::format("{} out from {}, {}", out.len(plate.worstAt), innerEnd(w.design), wordsOf(plate.worstCase)),
             "strength ÷ stress, of all loads and places",
             fmt::format("stress at {}: {:.2f} MPa", innerEnd(w.design), plate.stress), "bending theory of beams",
             told.loadBy, true});
}

void plateTwistFigure(const TruePanel& w, const PlateTold& told, const char* rule, const char* source,
                      FigureList& out) {
  const auto& twist = w.strength.twist;
  if (!twist) return;
  out.add({told.key + "twist", "Twists by", twist->twist, Quantity::angle, told.stage,
           fmt::format("tip against {}, under {:.0f} N·mm{}", innerEnd(w.design), twist->couple,
                       twist->tooFar() ? "; that is too far to be told by small movements: test it with less" : ""),
           rule, fmt::format("as a tube of {:.3g} N·mm²", twist->stiffness), source, told.loadBy, true});
}

TipCorners tipCorners(const TruePanel& w) {
  const ChordFrame root = w.shape.loft.frameAt(0), tip = w.shape.loft.frameAt(w.shape.loft.span());
  const double le = tip.le.y() - root.le.y(), te = tip.te.y() - root.te.y(), low = std::min({le, te, 0.0});
  return {le - low, te - low};
}

void packingFigures(const TruePanel& w, Stage stage, const std::string& key, const char* label, const char* where,
                    FigureList& out) {
  const TipCorners corners = tipCorners(w);
  for (const bool leading : {true, false})
    out.add({key + (leading ? "Leading" : "Trailing"),
             fmt::format(fmt::runtime(label), leading ? "LE" : "TE"),
             leading ? corners.leading : corners.trailing,
             Quantity::length,
             stage,
             where,
             "chord × sin(washout), from where it is turned",
             fmt::format("washout {} of {}", out.deg(w.shape.loft.frameAt(w.shape.loft.span()).washout),
                         out.len(w.design.panel.tipChord)),
             "plane geometry",
             {"panel.washout", "panel.washoutAxis", "panel.tipChord"},
             true});
}

void sayLittleReserve(Finder f, Stage stage, const std::string& key, const char* what, double reserve, double at,
                      const char* cure, std::vector<std::string> decisions) {
  if (reserve >= usualReserve) return;
  f.say({key,
         reserve < 1 ? Severity::serious : Severity::warning,
         stage,
         reserve < 1 ? fmt::format("The {} will not hold", what) : fmt::format("Little reserve in the {}", what),
         fmt::format("Strength is {:.2f} of the stress {} out. {} or more is usual.", reserve, f.len(at), usualReserve),
         cure,
         {},
         std::move(decisions)});
}

} // namespace eup
