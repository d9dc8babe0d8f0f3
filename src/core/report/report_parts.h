// Figures and findings, one function a stage: the words around what the trades computed.
#pragma once
#include "core/wing/true_wing.h"

namespace eup {

/// What all trades tell of all wings and panels: the figures of one stage, and the findings.
std::vector<Figure> tradesFigures(const TrueWing& wing, Stage stage);
std::vector<Finding> tradesFindings(const TrueWing& wing);

/// Collects figures with the document's unit at hand for their working.
class FigureList {
public:
  /// Keeps those of one stage where one is named.
  explicit FigureList(LengthUnit documentUnit, std::optional<Stage> of = {}) : unit(documentUnit), only(of) {}
  static constexpr unsigned bitOf(Stage stage) { return 1u << static_cast<unsigned>(stage); }
  /// Of which stages the next figures may be.
  void mayTell(unsigned stages) { may = stages; }
  std::vector<Figure> all;

  /// From now on figures are of that panel: their decisions are named within it, and so are their keys, but for the
  /// innermost panel, and for figures of one rib, which ribs' numbers tell apart. Keys of all wings but the main one
  /// begin with "wing2.".
  void turnTo(const PanelBrief& of) { wing = of.id.wing, panel = of.id, path = pathOf(of.id), brief = &of; }
  /// From now on figures are of that wing as a whole.
  void turnToWhole(int of) { wing = of, panel.reset(), brief = nullptr; }
  void add(Figure figure);
  LengthUnit documentUnit() const { return unit; }
  std::string len(double mm) const { return told(mm, Quantity::length, unit); }
  std::string deg(double rad) const { return told(rad, Quantity::angle, unit); }

private:
  LengthUnit unit;
  std::optional<Stage> only;
  unsigned may = 0;
  int wing = 0;
  std::optional<PanelId> panel;
  std::string path; ///< of that panel
  const PanelBrief* brief = nullptr;
};

/// Where along its panel something is measured from: "the root", or "the join" of a panel further out.
inline const char* innerEnd(const PanelBrief& d) {
  return d.innermost() ? "the root" : "the join";
}

/// Which of a socket's ends that is.
std::string socketPlace(const Socket& socket, bool mouth, bool centre);

void planFigures(const TrueWing& wing, FigureList& out);
void planFindings(const TrueWing& wing, std::vector<Finding>& out);
void wingFigures(const TrueWing& aircraft, const WholeWing& wing, FigureList& out);
void sectionFigures(const TruePanel& panel, FigureList& out);
void panelFigures(const TruePanel& panel, FigureList& out);
void ribFigures(const TruePanel& panel, FigureList& out);
void sparFigures(const TruePanel& panel, FigureList& out);
void shortSparFigures(const TruePanel& panel, FigureList& out);
void joinFigures(const TruePanel& panel, FigureList& out);
void joinerFigures(const TruePanel& panel, FigureList& out);
void assemblyFigures(const WholeWing& wing, FigureList& out);
void partsFigures(const WholeWing& wing, FigureList& out);
void stockFigures(const TruePanel& panel, FigureList& out);
void balanceFigures(const TrueWing& aircraft, FigureList& out);
void balanceFindings(const TrueWing& aircraft, std::vector<Finding>& out);
void builtFigures(const TrueWing& aircraft, FigureList& out); ///< as it was read at the bench
void builtFindings(const TrueWing& aircraft, std::vector<Finding>& out);
void holdingFigures(const TrueWing& aircraft, const WholeWing& wing, FigureList& out);
void holdingFindings(const TrueWing& aircraft, std::vector<Finding>& out);
void stackFigures(const TruePanel& panel, FigureList& out);
void skinFigures(const TruePanel& panel, FigureList& out);
void coverFigures(const TruePanel& panel, FigureList& out);
void clothFigures(const TruePanel& panel, FigureList& out);
void foamFigures(const TruePanel& panel, FigureList& out);
void foamBetweenFigures(const TruePanel& panel, FigureList& out);
void sheetFigures(const TruePanel& panel, FigureList& out);
void surfaceFigures(const TruePanel& panel, FigureList& out);
void fittingFigures(const TruePanel& panel, FigureList& out);
void rollFigures(const WholeWing& wing, FigureList& out);
void stickFigures(const TruePanel& panel, FigureList& out);
void loadFigures(const WholeWing& wing, FigureList& out);
void bedFigures(const WholeWing& wing, FigureList& out);
void foamJoinFigures(const WholeWing& wing, FigureList& out);
void massFigures(const TruePanel& panel, FigureList& out);
void softWingFigures(const WholeWing& wing, FigureList& out);
void bayFigures(const TruePanel& panel, FigureList& out);
void twistFigures(const TruePanel& panel, FigureList& out);
void tipFigures(const TruePanel& panel, FigureList& out);
void settingUpFigures(const TruePanel& panel, FigureList& out);

inline constexpr const char* planeGeometry = "plane geometry";
inline constexpr const char* ruledLoft = "the ruled panel: straight lines join equal chord fractions of root and tip";

} // namespace eup
