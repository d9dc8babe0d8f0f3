// From readings to decisions, and a wing at another span. Either way the builder sees before and after of each
// decision.
#pragma once
#include "core/design/design.h"
#include "core/plan/judge.h"

namespace eup {

/// A decision that differs between two designs, as people read it. One that is only in one of them has an empty side.
struct Change {
  std::string path, label, before, after;
};
std::vector<Change> changesBetween(const Design& before, const Design& after);

struct Changed {
  Design design;
  std::vector<std::string> notes; ///< what could not be taken over, or wants a look
};

/// The readings' layout, as the judgements were taken or left, written into the design: span, chords, setback, ribs,
/// spar lines, rib thicknesses, and traced sections where outlines were read. Panels that are not there yet are added,
/// built like the one inside them.
Changed withReadings(const Design& design, const JudgedPlan& judged);

/// A wing's true half span, mm.
double halfSpanOf(const Wing& wing);

enum class StockRule { keep, step };

/// The wing at another half span: everything that is shape is scaled; stock sizes stay, or are scaled and stepped to
/// what is sold. Half span in the limits of the decision.
Changed atHalfSpan(const Design& design, double halfSpan, StockRule stock);

/// The size nearest to `size` that is sold: common practice of the model trade, no source. mm in, mm out.
enum class StockKind { strip, sheet, ply };
double soldSize(double size, StockKind kind, LengthUnit unit);

} // namespace eup
