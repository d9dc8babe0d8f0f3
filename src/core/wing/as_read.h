// What was read off the wing as it stands on the bench, sorted by place and held against the design there.
#pragma once
#include "core/bench/as_built.h"
#include "core/wing/true_wing.h"

namespace eup {

/// One standard deviation of a careful reading by hand, in the reading's unit (degrees, mm, g): common practice.
double usualDoubt(ReadKind kind);
/// Of what an instrument averaged while it lay still, from its scatter; never below a third of the usual one.
double doubtOfMean(ReadKind kind, double scatter);
/// Read at a rib; else of a half, or of the model.
bool isOfRib(ReadKind kind);
/// "°", "mm", "g".
const char* unitOf(ReadKind kind);

/// The panel that a reading was taken of, by the numbers that it is recorded under, and of a half its first; nothing
/// where the wing has it no more.
const TruePanel* panelRead(const TrueWing& aircraft, const BenchReading& reading);
/// "R7, panel 2", "half wing", "R7, removed panel".
std::string placeRead(const TrueWing& aircraft, const BenchReading& reading);

/// How far a panel is: what can still be done about it.
enum class PanelState { onBoard, open, closed };
PanelState stateOf(const TrueWing& aircraft, PanelId panel, Hand hand);

/// How far out a place of a panel is for a twist of its tip, mm of its span: a ruled surface that is twisted at its tip
/// turns by tip chord ÷ chord less the farther in, so that its error is a straight line over this and not over the
/// span.
double twistPlace(const TruePanel& panel, double t);
/// The place along the span again, mm.
double placeOfTwist(const TruePanel& panel, double place);

/// A panel's incidences against the design: a straight line through (read − decided), nose up positive, over
/// `twistPlace`. The gauge's zero falls out of it.
struct TwistRead {
  PanelId panel;
  Hand hand = Hand::right;
  FittedLine error;             ///< rad over mm, see `twistPlace`
  double twist = 0, doubt = 0;  ///< rad: of the outer end against the inner one, more nose up than decided
  std::optional<double> before; ///< the same of the readings before those of the last session
  std::vector<int> ribs;        ///< read in the last session
  std::vector<Sample> samples;  ///< (mm, rad): those of it, at their `twistPlace`
};
std::vector<TwistRead> twistsRead(const TrueWing& aircraft);

/// The outermost rib of a half that was read in the last session against the innermost one, as a gauge tells it.
struct EndsRead {
  Hand hand = Hand::right;
  int inner = 0, outer = 0;      ///< ribs, of the wing's count
  double washout = 0, doubt = 0; ///< rad, nose down positive
  double decided = 0;            ///< of the one against the other
};
/// Of one wing (its place); nothing for a hand of which fewer than two ribs were read. Several readings are their mean.
std::vector<EndsRead> endsRead(const TrueWing& aircraft, int wing);

/// Readings of one kind at one rib in the last session there.
struct RibRead {
  PanelId panel;
  Hand hand = Hand::right;
  int rib = 0; ///< of the wing's count; 0 where the kind is of no rib
  MeanReading read;
};
std::vector<RibRead> ribsRead(const TrueWing& aircraft, ReadKind kind);

/// Readings of ribs that the wing has not, or that name none where one is needed: their indices.
std::vector<std::size_t> withoutPlace(const TrueWing& aircraft);

/// What halves that are twisted against each other do in the air, by strip theory.
struct RollRead {
  double perMetre = 0;           ///< rad rolled in a metre flown, to the left positive; with nothing held against it
  std::optional<double> aileron; ///< rad that either aileron has to stand: right up, left down positive
  double doubtShare = 0;         ///< one standard deviation, as a share of it
};
/// Of a wing with both hands read; the panels' twists add up outwards, a panel that was not read is as decided.
std::optional<RollRead> rollRead(const WholeWing& wing, const std::vector<TwistRead>& twists, int number);

} // namespace eup
