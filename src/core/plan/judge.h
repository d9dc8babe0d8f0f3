// Judging a plan by its readings: what a careful builder checks before trusting it, each with what follows if the
// judgement is taken and if it is left. And the layout that the readings give.
#pragma once
#include "core/plan/readings.h"
#include "core/section/traced_section.h"

namespace eup {

/// How far readings may be off before the plan is blamed. A careful reading is good to 0.1–0.2 mm on a scan of 150
/// pixels an inch (0.17 mm a pixel); a pencil line is 0.3 mm wide. mm.
namespace plan_tolerance {
inline constexpr double line = 0.5;        ///< off a straight line
inline constexpr double spacing = 0.6;     ///< two readings make a bay
inline constexpr double templateFit = 0.8; ///< a template against the chord at its station
inline constexpr double hands = 0.8;       ///< left against right
inline constexpr double thickness = 0.4;   ///< between rib kinds
} // namespace plan_tolerance

/// A straight line x = at0 + slope·t through readings of one edge or spar, on one panel of one hand.
struct ReadLine {
  ReadingKind kind = ReadingKind::leadingEdge;
  int number = 1; ///< spar or hinge
  int panel = 1;
  Hand hand = Hand::right;
  double at0 = 0, slope = 0; ///< mm aft of the root leading edge at t = 0; aft a mm outwards
  double from = 0, to = 0;   ///< t of its innermost and outermost reading
  double rms = 0, worst = 0;
  std::size_t worstReading = 0;
  std::vector<std::size_t> readings;
  std::optional<std::size_t> leftOut; ///< a single reading that is not in the fit
  double leftOutBy = 0;
  std::optional<double> knee; ///< two straight lines that meet there fit better
  double kneeAngle = 0;       ///< rad, change of direction
  double bow = 0, bowAt = 0;  ///< greatest distance from the straight line between its ends, and where
  double at(double t) const { return at0 + slope * t; }
};

/// A point of the wing read at a rib: t outwards from the root, x aft of the root's leading edge.
struct AtRib {
  int rib = 0;
  double t = 0, x = 0;
  std::size_t reading = 0;
};

/// One hand as it is drawn.
struct DrawnHand {
  Hand hand = Hand::right;
  std::vector<AtRib> leading, trailing; ///< by rib
  std::vector<ReadLine> lines;
  std::vector<std::pair<int, double>> stations; ///< rib and t, from LE and TE together
  double outwards = 1;                          ///< sign of the plan's x towards the tip
  double x0 = 0, y0 = 0;                        ///< root leading edge on the plan, mm
  double aft = -1;                              ///< sign of the plan's y towards the trailing edge
  std::vector<double> joints;                   ///< t of the panel joints that were read, outwards
  const ReadLine* line(ReadingKind kind, int number = 1) const;
  Point onPlan(double t, double x) const { return {x0 + outwards * t, y0 + aft * x}; }
};

struct Judgement {
  std::string key; ///< "spacing", "line.right.leadingEdge", "template.R7", …
  bool fault = false;
  std::string what;        ///< "R7 template 2.4 mm short"
  std::string detail;      ///< how it was seen
  std::string taken, left; ///< what follows either way
  bool take = true;
  std::vector<std::size_t> readings; ///< those that it is about
};

/// What the readings say about the layout of the innermost panel, as the judgements were taken or left.
struct PlanLayout {
  std::optional<double> halfSpan, rootChord, tipChord, tipSetback;
  std::optional<int> evenRibs;                 ///< evenly spaced
  std::optional<std::vector<double>> stations; ///< as read
  std::optional<double> thickness, rootThickness, tipThickness;
  struct Line {
    int number;
    double rootFraction, tipFraction;
  };
  std::vector<Line> spars;
  /// A surface's hinge line: from its first to its last reading, mm from the panel's root; chord fractions there.
  struct Hinge {
    int number;
    double from, to, fractionFrom, fractionTo;
  };
  std::vector<Hinge> hinges;
  std::vector<PlanLayout>
      outer; ///< the panels further out, the same way: each span, station and set-back from its own root
};

struct JudgedPlan {
  std::vector<LaidSheet> sheets;
  std::vector<DrawnHand> hands; ///< those that have readings; the one with more of them first
  std::vector<Judgement> judgements;
  PlanLayout layout;
};

/// Bays are made even to whole millimetres and halves, or to sixteenths of an inch.
JudgedPlan judge(const Plan& plan, LengthUnit unit);

/// Points that one traces through for the hand that is not drawn: spar ends, tip, end ribs. t and x as `AtRib`.
struct ReferencePoint {
  std::string name;
  double t = 0, x = 0;
};
std::vector<ReferencePoint> referencePoints(const DrawnHand& hand);

/// A tip's outline that was read, of the hand that has most readings: (aft of the root's leading edge, out from the
/// root) in mm, from the leading edge round to the trailing edge. Empty when none was read.
Polyline tipFromPlan(const Plan& plan, const JudgedPlan& judged);

/// Section outlines that were read, as traced sections in plan mm; number 1 root, 2 tip.
std::optional<TracedSection> tracedFromPlan(const Plan& plan, const std::vector<LaidSheet>& sheets, int number);

} // namespace eup
