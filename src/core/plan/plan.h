// The paper plan as a decision: its sheets, how each is made true, and what was read off it. Everything is kept in the
// sheet's own pixels (y down, a pixel's middle at its whole number), so that a better calibration moves all readings.
#pragma once
#include "core/geometry/point.h"
#include "core/measure/choice.h"
#include "core/measure/hand.h"
#include <memory>
#include <string>
#include <vector>

namespace eup {

/// A length on the sheet that is known to be true: a dimension, a scale bar, the wing's own span.
struct KnownLength {
  std::string name;
  Polyline ends; ///< two pixels
  double length = 100;
  bool operator==(const KnownLength&) const = default;
};

enum class MakeTrue { lengths, corners };
inline constexpr std::array makeTrueChoices{Choice{"lengths", "known lengths"}, Choice{"corners", "four corners"}};
static_assert(makeTrueChoices.size() == wordsFor(MakeTrue::corners));

/// Bytes of a plan's file carried inside the wing file. Shared: an undo stack holds many designs.
class EmbeddedCopy {
public:
  EmbeddedCopy() = default;
  explicit EmbeddedCopy(std::string bytes) : held(std::make_shared<const std::string>(std::move(bytes))) {}
  bool empty() const { return !held || held->empty(); }
  const std::string& bytes() const;
  bool operator==(const EmbeddedCopy& other) const { return held == other.held || bytes() == other.bytes(); }

private:
  std::shared_ptr<const std::string> held;
};

struct PlanSheet {
  std::string name = "Sheet 1";
  std::string file;     ///< from the wing file's folder, with forward slashes; absolute while the wing has no file
  std::string checksum; ///< SHA-256 of the file when it was opened, in hex
  EmbeddedCopy copy;
  int page = 1;
  int width = 0, height = 0; ///< pixels
  double dpi = 0;            ///< pixels an inch as scanned or as drawn; 0 when the file does not say
  MakeTrue by = MakeTrue::lengths;
  std::vector<KnownLength> lengths;
  Polyline corners; ///< four pixels of a rectangle, in any order
  double cornerWidth = 297, cornerHeight = 210;
  Polyline level; ///< two pixels of a line that is laid level: spar or centre line
  bool operator==(const PlanSheet&) const = default;
};

enum class ReadingKind {
  leadingEdge,
  trailingEdge,
  spar,
  hinge,
  joint,
  centreLine,
  tip,
  upperSurface,
  lowerSurface,
  ribTemplate,
  ribThickness,
  length,
  angle,
  matchMark
};
inline constexpr std::array readingChoices{Choice{"leadingEdge", "leading edge at a rib"},
                                           Choice{"trailingEdge", "trailing edge at a rib"},
                                           Choice{"spar", "spar line"},
                                           Choice{"hinge", "hinge line"},
                                           Choice{"joint", "panel joint"},
                                           Choice{"centreLine", "centre line"},
                                           Choice{"tip", "tip outline"},
                                           Choice{"upperSurface", "section outline, top"},
                                           Choice{"lowerSurface", "section outline, below"},
                                           Choice{"ribTemplate", "rib template's length"},
                                           Choice{"ribThickness", "rib's thickness"},
                                           Choice{"length", "length"},
                                           Choice{"angle", "angle"},
                                           Choice{"matchMark", "match mark between sheets"}};
static_assert(readingChoices.size() == wordsFor(ReadingKind::matchMark));

struct Reading {
  std::string name; ///< empty: named by what it is
  ReadingKind kind = ReadingKind::leadingEdge;
  int sheet = 1;
  Hand hand = Hand::right;
  int number = 1; ///< rib, spar, hinge, joint, section (1 root, 2 tip) or match mark
  Polyline points;
  bool operator==(const Reading&) const = default;
};

/// A judgement that was taken or left, by its key.
struct Verdict {
  std::string key;
  bool take = true;
  bool operator==(const Verdict&) const = default;
};

struct Plan {
  std::vector<PlanSheet> sheets;
  std::vector<Reading> readings;
  std::vector<Verdict> verdicts;
  bool operator==(const Plan&) const = default;
};

inline constexpr int mostSheets = 24, mostKnownLengths = 60, mostReadings = 5000, mostReadingPoints = 500,
                     mostVerdicts = 2000;

/// How many points a reading of that kind has: exactly `least` when `most` is the same, else any number between.
struct PointCount {
  int least, most;
};
PointCount pointsOf(ReadingKind kind);

/// "LE R5", "spar 1", or its own name.
std::string nameOf(const Reading& reading);

/// The plan with a judgement taken or left.
Plan withVerdict(const Plan& plan, const std::string& key, bool take);

} // namespace eup
