// What is decided of the work at the bench, and what is recorded of it. Records stand beside the decisions in the
// file: no undo takes them back, and they are changed in one place alone (`Document::record`).
#pragma once
#include "core/measure/choice.h"
#include "core/measure/hand.h"
#include <string>
#include <vector>

namespace eup {

/// Dihedral first, as most do it; or the halves are covered flat, as the lightest indoor wings are.
enum class CoverWhen { joined, flat };
inline constexpr std::array coverWhenChoices{Choice{"joined", "when it is joined"},
                                             Choice{"flat", "flat, before it is joined"}};
static_assert(coverWhenChoices.size() == wordsFor(CoverWhen::flat));

/// A step of the builder's own.
struct OwnStep {
  std::string name = "my own step";
  std::string after, before; ///< keys of steps; empty: at the beginning, at the end
  std::string with, look;
  double minutes = 15;
  double cure = 0;       ///< hours
  int number = 1;        ///< its own for good: what is recorded of it is kept under it
  bool eachHand = false; ///< after a step of one hand: one for the other hand too, ticked by itself
  bool operator==(const OwnStep&) const = default;
};
inline constexpr int mostOwnSteps = 100;

/// A step that is to wait for another, where the trade leaves it open.
struct OwnNeed {
  std::string step, needs;
  bool operator==(const OwnNeed&) const = default;
};
struct LeftOutStep {
  std::string key;
  bool operator==(const LeftOutStep&) const = default;
};
inline constexpr int mostOrderChanges = 500;

/// Nobody begins anything for less; and a schedule by less would never end.
inline constexpr double fewestMinutes = 5;

struct BenchPlan {
  std::string first;                   ///< the first day, "2026-12-01"; empty: today
  double weekday = 120, weekend = 300; ///< minutes at the bench; none, or at least `fewestMinutes`
  int hour = 18;                       ///< at which every day begins
  int hands = 1;                       ///< pairs of them
  double celsius = 20;                 ///< in the room
  CoverWhen cover = CoverWhen::joined;
  std::vector<OwnStep> own;
  std::vector<OwnNeed> needs;
  std::vector<LeftOutStep> leftOut;
  bool operator==(const BenchPlan&) const = default;
};

/// What was looked at before it was closed in: the key of a hold point (see core/skins/holds.h).
struct Looked {
  std::string key;
  bool operator==(const Looked&) const = default;
};
inline constexpr int mostLooked = 1000;

/// How far a step is. Times are local, "2026-12-01 18:30"; empty while it has not come to that.
struct StepRecord {
  std::string key;
  std::string begun, done;
  double minutes = 0;   ///< by the stopwatch; 0 where none ran
  bool looked = false;  ///< its gate
  std::string lookedBy; ///< who looked
  bool operator==(const StepRecord&) const = default;
};
inline constexpr int mostStepRecords = 2000;

/// What is read off a wing, and where.
enum class ReadKind { incidence, rise, straightedge, bow, notch, mass, balance };
inline constexpr std::array readKindChoices{Choice{"incidence", "incidence at a rib"},
                                            Choice{"rise", "rise of a rib over the board"},
                                            Choice{"straightedge", "proud of a straightedge"},
                                            Choice{"bow", "off a stretched string"},
                                            Choice{"notch", "depth of a spar's notch"},
                                            Choice{"mass", "on the scales"},
                                            Choice{"balance", "balances at"}};
static_assert(readKindChoices.size() == wordsFor(ReadKind::balance));

/// A panel by numbers that it and its wing keep for good, wherever they stand: what is recorded of it is kept under
/// them.
struct PanelNumber {
  int wing = 0, panel = 0; ///< counted from 0
  bool operator==(const PanelNumber&) const = default;
};
inline constexpr int mostNumber = 1000000;

/// One reading. Degrees of the chord line, nose up; mm over the board at the chord line's nose; mm that a rib stands
/// over (+) a straightedge along its neighbours; mm that the trailing edge lies aft (+) of a string from root to tip;
/// mm of the first spar's top notch; g of that hand's half; mm behind the root's leading edge.
struct BenchReading {
  ReadKind kind = ReadKind::incidence;
  int wing = 0, panel = 0; ///< see `PanelNumber`; the panel of what is read at a rib
  Hand hand = Hand::right;
  int rib = 0; ///< of the wing's count; 0 where it is of no rib
  double value = 0;
  double doubt = 0; ///< one standard deviation; 0: what is usual for the instrument
  std::string by;   ///< the instrument
  std::string at;   ///< "2026-12-01 18:30"
  std::string note;
  PanelNumber of() const { return {wing, panel}; }
  bool operator==(const BenchReading&) const = default;
};
inline constexpr int mostBenchReadings = 5000;

/// A piece of the parts list on the bench: its key there, of one hand.
struct PartTick {
  std::string key;
  Hand hand = Hand::right;
  bool counted = false, cut = false, fitted = false;
  int missing = 0;
  bool operator==(const PartTick&) const = default;
};
inline constexpr int mostPartTicks = 10000;

enum class LogKind { done, read, changed, note, picture };
inline constexpr std::array logKindChoices{Choice{"done", "done"}, Choice{"read", "read"}, Choice{"changed", "changed"},
                                           Choice{"note", "note"}, Choice{"picture", "picture"}};
static_assert(logKindChoices.size() == wordsFor(LogKind::picture));

struct LogEntry {
  std::string at; ///< "2026-12-01 18:30"
  LogKind kind = LogKind::note;
  std::string text;
  std::string step; ///< key of the step that it is about; may be empty
  std::string file; ///< of a picture: its name beside the wing's file
  bool operator==(const LogEntry&) const = default;
};
inline constexpr int mostLogEntries = 20000;

struct Records {
  int numbersGiven = 0; ///< to wings and panels: none below it is given again, whatever was undone since
  std::vector<Looked> looked;
  std::vector<StepRecord> steps;
  std::vector<BenchReading> readings;
  std::vector<PartTick> parts;
  std::vector<LogEntry> log; ///< in the order in which it came
  bool operator==(const Records&) const = default;
};

} // namespace eup
