// Collects the steps of one panel in one hand: every trade tells its own with it, as it tells its figures.
#pragma once
#include "core/bench/step.h"
#include "core/wing/true_wing.h"
#include <map>

namespace eup {

inline constexpr const char* glueCaution =
    "Read the maker's sheet: air, gloves, no flame; instant glue wants eye protection.";
inline constexpr const char* dustCaution = "Dust of balsa, glass and carbon: wear a mask.";
inline constexpr const char* bladeCaution = "Blades and planes: cut away from yourself.";

/// Which pieces of a panel: of those kinds; of that surface, spar or other thing, by its lasting number, and of that
/// face where they are given.
struct PieceQuery {
  std::vector<PieceKind> kinds;
  std::optional<int> thing{};
  std::optional<bool> top{};
  bool covers(const PieceId& id) const;
};

/// What a step has beside its work and its needs.
struct StepMore {
  std::string with{};
  double cure = 0; ///< hours
  bool attended = false;
  std::string look{}, caution{}, print{};
  std::vector<std::string> figures{}; ///< keys as the panel tells them
  /// Pieces of the panel that it cuts, puts in, or is about. A step that asks for pieces to cut or to put in, and of
  /// which the panel has none, is left away.
  std::optional<PieceQuery> makes{}, puts{}, works{};
  bool anyway = false; ///< there is work without such pieces too
};

/// The steps as the trades tell them.
class StepList {
public:
  void put(Step step) { steps.push_back(std::move(step)); }
  /// One that there is nothing to do for: what needs it needs what it would have needed.
  void leave(const std::string& key, std::vector<std::string> needs) { left[key] = std::move(needs); }
  bool has(const std::string& key) const;
  /// All that there is to do, each with needs that are there.
  std::vector<Step> take();

private:
  std::vector<Step> steps;
  std::map<std::string, std::vector<std::string>> left;
};

/// "right hand", "Tailplane, panel 2, both hands", "Fin": the wing named where it is not the first, the panel where it
/// is told and there are several; no hand for what both have in common. Counted from 0; `outer`: to that panel.
std::string placeOfWork(const TrueWing& aircraft, int wing, std::optional<int> panel, std::optional<Hand> hand,
                        std::optional<int> outer = std::nullopt);

class StepMaker {
public:
  /// They are put at the end of `to`, which outlives it, as the panel does.
  StepMaker(const TrueWing& aircraft, const TruePanel& panel, Hand hand, double celsius, StepList& to);
  /// Of panels that are built on the board as one, in that hand or in both; the first one is the innermost.
  StepMaker(const TrueWing& aircraft, std::vector<const TruePanel*> panels, std::optional<Hand> hand, double celsius,
            StepList& to);

  const TruePanel& panel; ///< the innermost
  std::string whose;      ///< see `placeOfWork`
  /// All of them, each as often as there are hands; left ones are told as right ones, to be turned over.
  struct Body {
    const TruePanel* panel;
    Hand hand;
  };
  std::vector<Body> bodies;
  const TruePanel& outermost() const { return *bodies.back().panel; }

  /// Puts it in, or leaves it away where there is nothing to do; minutes are rounded, at least one; empty needs are
  /// none. Gives back its key.
  std::string add(const std::string& key, std::string what, double minutes, std::vector<std::string> needs,
                  const StepMore& more = {});
  /// How many lines of the panel's list, in this hand, are of that.
  double count(const PieceQuery& query) const { return static_cast<double>(pieces(query).size()); }
  std::vector<PlacedPiece> pieces(const PieceQuery& query) const;
  /// Its edges glued on, those that it has.
  std::string edges(double minutes, std::vector<std::string> needs);
  /// The key of a step of this panel and hand that is there already; else empty.
  std::string told(const std::string& key) const;

  /// Minutes of what grows with a panel's size, told for one of 700 mm by 200.
  double share(double minutes) const;
  std::string handInHead() const;                    ///< as the plan's head says it: "RIGHT HAND", "BOTH HANDS"
  bool isLeft() const { return hand == Hand::left; } ///< of one hand alone
  double ribCount() const;                           ///< riblets too
  double setHours() const;                           ///< of the wood's glue, at the room's temperature
  double epoxyHours() const;
  std::string glue() const; ///< its words

private:
  StepList& out;
  std::optional<Hand> hand; ///< nothing for both
  double warm;
  std::string prefix;
};

/// The trades, each from the last step before it to its own last one; empty keys need nothing.
/// A frame until it is taken off the board; and what is done to each of its panels then.
std::string boardSteps(StepMaker& panels);
std::string frameSteps(StepMaker& panel, const std::string& before);
std::string sheetPanelSteps(StepMaker& panel);
std::string tipSteps(StepMaker& panel, const std::string& before);
std::string foamSteps(StepMaker& panel);
/// Braces: glued to one half (the right, the outer panel), tried dry in what it is joined to; before sheet closes them
/// in.
std::string braceSteps(StepMaker& panel, const std::string& before);
std::string skinSteps(StepMaker& panel, const std::string& before);
/// What is done to surfaces before covers are on, and after: those that are sawn off are sawn through the covers.
std::string surfaceSteps(StepMaker& panel, std::string before, bool covered);
/// The servos' seats: before sheet closes them in.
std::string servoSteps(StepMaker& panel, std::string before);
/// Sanding, cloth, covering: what is done to a panel that is one piece. `covered`: it was while it lay flat.
std::string finishSteps(StepMaker& panel, const std::string& before, bool covered);
std::string coverSteps(StepMaker& panel, const std::string& before);
/// Surfaces onto their hinges, and what moves them; `wires` are the steps by surface that bend what joins both halves.
std::string hangSteps(StepMaker& panel, std::string before, const std::vector<std::string>& wires);

/// Those of one wing, put at the end of `out`. Gives back its last ones.
std::vector<std::string> wingSteps(const TrueWing& aircraft, const WholeWing& wing, double celsius, StepList& out);

} // namespace eup
