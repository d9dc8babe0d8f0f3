// The lift of one half wing and how it is spread along the span. Forces N, lengths mm, y from the root.
#pragma once
#include "core/design/panel_brief.h"
#include <span>
#include <vector>

namespace eup {

/// n m g / 2: mass in grams, any factor n.
double halfLift(double massGrams, double loadFactor);

/// What runs straight from one value to another along the span: a chord in mm, a load in N/mm, a mass in g/mm.
struct LinearRun {
  double from = 0, to = 1, root = 1, tip = 1;
};

/// What a strut does to the wing where it holds it: N upwards, and N that press the spar from there inwards.
struct HeldPlace {
  double y = 0, up = 0, pressed = 0;
};

/// Lift per mm, shear and bending moment at y for a half wing of straight-tapered panels. Schrenk's is the mean of the
/// chord and of the ellipse of the same area (NACA TM 948, 1940). Upwards is positive.
struct SpanLoad {
  double lift = 0; ///< N, the half wing's
  double halfSpan = 1;
  std::vector<LinearRun> runs; ///< chords from the root outwards
  LoadShape shape = LoadShape::schrenk;
  std::vector<LinearRun> table{};   ///< of LoadShape::table: lift in any unit
  std::vector<LinearRun> besides{}; ///< other loads on the wing, N/mm
  double atTip = 0;                 ///< N, one force at the tip
  std::vector<HeldPlace> held{};    ///< by struts and wires

  double perLength(double y) const;
  double shear(double y) const;
  double moment(double y) const;
  double pressed(double y) const; ///< N along the spar, by struts further out
};

/// Value at y, what lies outboard of it, and that times its arm from y.
struct Outboard {
  double here = 0, sum = 0, moment = 0;
};
Outboard outboardOf(std::span<const LinearRun> runs, double y);

/// What may load a wing.
struct LoadCase {
  /// A dive twists the wing and does not bend it: it stands beside checks, and in no list of cases.
  enum class What { pull, push, gust, gustDown, line, tip, dive } what = What::pull;
  double factor = 1; ///< multiples of the model's weight that it carries; of a tip, the force there
  SpanLoad load;
};
const char* wordsOf(LoadCase::What what);

/// Lift per rad of a wing of that aspect ratio, of an elliptic one by the lifting line: 2π ÷ (1 + 2 ÷ aspect).
double liftSlope(double aspect);

/// Load factor of a sharp-edged gust on the whole model, alleviated: 1 + K ρ U V a S ÷ (2 m g), with
/// K = 0.88 μ ÷ (5.3 + μ) and μ = 2 m ÷ (ρ c a S); Pratt and Walker, NACA Report 1206 (1954). Speeds m/s, area mm² and
/// mean chord mm of the main wing, a its `liftSlope`.
double gustFactor(double massGrams, double gust, double airSpeed, double area, double meanChord, double aspect);

/// All loads of a wing that carries its share of the model: pulling up first, then those that are asked for. `mass` is
/// the half wing's own, g/mm; `gust` the factor of `gustFactor`.
std::vector<LoadCase> loadCases(std::span<const PanelBrief> panels, const std::vector<LinearRun>& mass, double gust);

/// The case that bends the wing most at y, either way.
const LoadCase& worstAt(const std::vector<LoadCase>& cases, double y);

} // namespace eup
