// Where a section comes from and how it was changed since: a source that stays untouched, and steps that can be taken
// back one by one.
#pragma once
#include "core/measure/choice.h"
#include "core/measure/result.h"
#include "core/section/listed_section.h"
#include "core/section/measured.h"
#include "core/section/traced_section.h"
#include <vector>

namespace eup {

enum class SectionKind { naca, listed, traced, flatUnderside, flatPlate, curvedPlate, symmetrical };
inline constexpr std::array sectionKindChoices{
    Choice{"naca", "NACA digits"},       Choice{"listed", "coordinates"},
    Choice{"traced", "traced points"},   Choice{"flatUnderside", "flat underside"},
    Choice{"flatPlate", "flat plate"},   Choice{"curvedPlate", "curved plate"},
    Choice{"symmetrical", "symmetrical"}};
static_assert(sectionKindChoices.size() == wordsFor(SectionKind::symmetrical));
enum class PlateNose { round, wedge };
inline constexpr std::array plateNoseChoices{Choice{"round", "rounded"}, Choice{"wedge", "wedge"}};
static_assert(plateNoseChoices.size() == wordsFor(PlateNose::wedge));
enum class PlateCurve { arc, place };
inline constexpr std::array plateCurveChoices{Choice{"arc", "circular arc"}, Choice{"place", "camber and its place"}};
static_assert(plateCurveChoices.size() == wordsFor(PlateCurve::place));

/// The few numbers that sections are drawn from. Fractions of the chord.
struct DrawnNumbers {
  double thickness = 0.11, thicknessAt = 0.3; ///< flat underside, symmetrical (NACA thickness, place 0.3)
  double noseRadius = 0.012;                  ///< flat underside
  double tail = 0.008;                        ///< flat underside: depth of the trailing edge
  double plate = 0.025;                       ///< plates: depth all along
  PlateNose nose = PlateNose::round;          ///< flat plate
  double wedge = 0.05;                        ///< flat plate: how far the wedge reaches back
  double tailTaper = 0.2;                     ///< flat plate: how far the trailing edge is tapered, 0 is square
  PlateCurve curve = PlateCurve::arc;         ///< curved plate
  double camber = 0.06, camberAt = 0.4;       ///< curved plate; the place counts when it is no arc
  bool operator==(const DrawnNumbers&) const = default;
};

enum class StepKind { thickness, camber, tail, nose, fillUndercamber, smooth, blend };
inline constexpr std::array stepChoices{Choice{"thickness", "set thickness"},
                                        Choice{"camber", "set camber"},
                                        Choice{"tail", "set TE depth"},
                                        Choice{"nose", "blunter or sharper nose"},
                                        Choice{"fillUndercamber", "fill undercamber"},
                                        Choice{"smooth", "smooth"},
                                        Choice{"blend", "blend"}};
static_assert(stepChoices.size() == wordsFor(StepKind::blend));

/// One change. `value`: thickness, camber and trailing edge depth asked for, or how far smoothing may move a point
/// (fractions of the chord); the nose's new radius over its old one; the share of the other section in a blend.
struct SectionStep {
  StepKind kind = StepKind::thickness;
  bool on = true;
  double thickness = 0.12, camber = 0.02, tail = 0.004, nose = 1.5, smooth = 0.001, share = 0.5;
  std::string with = "0012"; ///< blend: NACA digits
  bool operator==(const SectionStep&) const = default;
};

struct SectionChoice {
  SectionKind kind = SectionKind::naca;
  std::string naca = "2412";
  ListedSection listed = plainListing();
  TracedSection traced;
  DrawnNumbers drawn;
  std::vector<SectionStep> steps;
  bool operator==(const SectionChoice&) const = default;

  static ListedSection plainListing();
};

inline SectionChoice nacaSection(std::string digits) {
  SectionChoice choice;
  choice.naca = std::move(digits);
  return choice;
}
inline SectionChoice listedSection(ListedSection listing) {
  SectionChoice choice;
  choice.kind = SectionKind::listed;
  choice.listed = std::move(listing);
  return choice;
}

inline constexpr int mostSteps = 12;

/// Its source's name, for people: "NACA 2412", "Own flat", "flat underside 11 %".
std::string sourceName(const SectionChoice& choice);
/// Published for plain NACA digits, else the circle through the points next to the nose. Fraction of the chord.
double noseRadiusOf(const SectionChoice& choice, const SectionMeasures& measures);
/// Where its shape is published, or "the listed coordinates" and the like.
std::string sourceOf(const SectionChoice& choice);

/// What a step did.
struct StepResult {
  double moved = 0;   ///< greatest distance that a point moved up or down, chord fraction
  double movedAt = 0; ///< where
  bool upper = true;  ///< on which surface
};

struct ShapedSection {
  Section section; ///< with all steps done
  Section source;  ///< before any step
  std::vector<StepResult> steps;
  std::optional<TraceFit> trace; ///< of a traced section
};

/// Source and steps, in order. The choice holds only digits and listings that were read without fault.
ShapedSection shape(const SectionChoice& choice);

/// The section that a choice stands for.
inline Section sectionOf(const SectionChoice& choice) {
  return shape(choice).section;
}

/// The choice with its thickness, trailing edge depth or camber decided: the number it is drawn from where there is
/// one, else the last step of that kind, else a new one. Held within the decision's limits. No room for a step:
/// unchanged.
SectionChoice withDecided(const SectionChoice& choice, StepKind what, double value);

/// A section drawn from numbers. `kind` is one of the drawn kinds.
Section makeDrawn(SectionKind kind, const DrawnNumbers& numbers);

} // namespace eup
