// Figures and findings of the covering: what is cut off the roll, and the hollows between ribs.
#include "core/report/finder.h"
#include "core/report/report_parts.h"
#include "core/skins/cover_cut.h"

namespace eup {
namespace {

const char* faceName(Face face) {
  return face == Face::upper ? "top" : "below";
}

std::string keyOf(Face face, const char* what) {
  return fmt::format("cover.{}.{}", face == Face::upper ? "top" : "bottom", what);
}

} // namespace

void coverFigures(const TruePanel& w, FigureList& out) {
  const std::vector<CoverPiece> pieces = coverPieces(w.design, w.shape.loft);
  const double more = w.design.cutList.coverOverlap;
  for (const CoverPiece& p : pieces) {
    const char* rule = "the face laid flat, its leading edge along the roll, and the overlap all round";
    const std::vector<std::string> from{"cutList.coverOverlap", "panel.span", "panel.rootChord", "stiffening.covering"};
    out.add({keyOf(p.face, "length"), fmt::format("Covering {}, length", faceName(p.face)), p.length, Quantity::length,
             Stage::skins, "cut along the span; the inner size of a frame, where it is laid from one with slack in it",
             rule, fmt::format("{} + 2 × {}", out.len(p.length - 2 * more), out.len(more)),
             "the ruled panel laid flat; overlap is common practice", from, true});
    out.add({keyOf(p.face, "width"), fmt::format("Covering {}, width", faceName(p.face)), p.width, Quantity::length,
             Stage::skins,
             p.strips == 1 ? std::string("cut across the span; its grain, where it has one, runs along the span")
                           : fmt::format("in {} strips side by side, for the roll is {} wide", p.strips,
                                         out.len(w.design.cutList.coverRoll)),
             rule, fmt::format("{} + 2 × {}", out.len(p.width - 2 * more), out.len(more)),
             "the ruled panel laid flat; overlap is common practice", from, true});
    const Hollow h = deepestHollow(w.design, w.shape.loft, w.frame, p.face);
    if (h.depth > 0)
      out.add(
          {keyOf(p.face, "hollow"),
           fmt::format("Covering {} pulls in by", faceName(p.face)),
           h.depth,
           Quantity::length,
           Stage::skins,
           fmt::format("half way between R{} and the next rib, at {:.0f} % of the chord, in from the ribs' curve",
                       h.rib, 100 * h.at),
           "covering as tight one way as the other is a soap film, ∇²w = 0, held by two ribs and two straight lines",
           fmt::format("held at {:.1f} and {:.1f} % of the chord", 100 * h.from, 100 * h.to),
           "Laplace's equation for a membrane of small slope, by its series",
           {"ribs.count", "riblets.inBay", "sheeting.fraction", "stiffening.covering"},
           true});
  }
  if (pieces.empty()) return;
  const int hands = w.design.mirrored ? 2 : 1;
  double grams = 0;
  for (const Part& part : w.parts)
    if (part.what() == Part::What::covering) grams += part.grams;
  const CoveringStuff& stuff = w.design.tables.covering(w.design.stiffening.covering);
  const double dope = w.design.stiffening.dope;
  out.add({"cover.mass",
           "Covering, dry",
           grams,
           Quantity::mass,
           Stage::skins,
           dope > 0 ? fmt::format("one hand, {} of covering and {} of dope",
                                  told(grams / (1 + dope), Quantity::mass, w.design.unit),
                                  told(grams * dope / (1 + dope), Quantity::mass, w.design.unit))
                    : std::string("one hand"),
           "area of the faces that are covered × g/m² × (1 + dope ÷ covering)",
           fmt::format("{} g/m² × (1 + {}) over {:.2f} dm² = {:.2f} g", stuff.areaWeight, dope,
                       stuff.areaWeight > 0 ? grams / (stuff.areaWeight * (1 + dope)) * 100 : 0.0, grams),
           stuff.source,
           {"stiffening.covering", "stiffening.coveringOn", "stiffening.dope"}});
  out.add({"cover.roll",
           "Covering off the roll",
           rollFor(pieces, w.design.cutList, hands),
           Quantity::length,
           Stage::skins,
           fmt::format("for this panel, {}; the roll is {} wide", hands == 2 ? "both hands" : "one hand",
                       out.len(w.design.cutList.coverRoll)),
           "pieces along the roll, beside each other as far as it is wide",
           fmt::format("{} pieces", hands * pieces.size()),
           "common practice",
           {"cutList.coverRoll", "cutList.coverOverlap", "stiffening.covering"}});
}

void coverFindings(Finder f) {
  /// What a builder sees on a finished wing, share of the chord, and mm over a hollow: common practice.
  constexpr double seen = 0.01, lifts = 0.5;
  for (const Face face : {Face::upper, Face::lower}) {
    const Hollow h = deepestHollow(f.w.design, f.w.shape.loft, f.w.frame, face);
    if (h.depth > seen * f.w.shape.loft.frameAt(0).chord)
      f.say({"cover.hollow",
             Severity::note,
             Stage::skins,
             fmt::format("The covering {} pulls in between the ribs", face == Face::upper ? "on top" : "below"),
             fmt::format("By {} half way from R{} to the next rib, unless it is stuck over something there.",
                         f.len(h.depth), h.rib),
             "Set ribs closer, put riblets between them, or sheet farther aft.",
             h.rib,
             {"ribs.count", "riblets.inBay", "sheeting.fraction"}});
    if (h.proud > lifts)
      f.say({"cover.lifts",
             Severity::note,
             Stage::skins,
             fmt::format("The covering {} bridges the ribs' hollow", face == Face::upper ? "on top" : "below"),
             fmt::format("It would stand off by {} at R{}.", f.len(h.proud), h.proudRib),
             "Stick it to the whole edge of every rib before it is tightened.",
             h.proudRib,
             {"stiffening.covering"}});
  }
}

/// What is still to be looked at before skins close the panel in.
void holdFindings(Finder f) {
  std::string open;
  int count = 0;
  for (const Hold& h : f.w.holds)
    if (!h.looked) open += (open.empty() ? "" : "; ") + h.what, ++count;
  if (count == 0) return;
  f.say({"holds.open",
         Severity::note,
         Stage::skins,
         count == 1 ? std::string("One thing to look at before the skin is closed")
                    : fmt::format("{} things to look at before the skin is closed", count),
         open + ".",
         "Tick each under Before it is closed when it was looked at, by another pair of eyes if there is one.",
         {},
         {}}); // no decision: it is ticked
}

} // namespace eup
