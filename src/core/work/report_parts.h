// Figures and findings, one function a stage: the words around what the trades computed.
#pragma once
#include "core/work/true_wing.h"

namespace eup {

std::vector<Figure> allFigures(const TrueWing& wing);
std::vector<Finding> allFindings(const TrueWing& wing);

/// Collects figures with the document's unit at hand for their working.
class FigureList {
public:
  explicit FigureList(LengthUnit documentUnit) : unit(documentUnit) {}
  std::vector<Figure> all;

  void add(Figure figure) { all.push_back(std::move(figure)); }
  std::string len(double mm) const { return told(mm, Quantity::length, unit); }
  std::string deg(double rad) const { return told(rad, Quantity::angle, unit); }

private:
  LengthUnit unit;
};

void planFigures(const TrueWing& wing, FigureList& out);
void planFindings(const TrueWing& wing, std::vector<Finding>& out);
void sectionFindings(const TrueWing& wing, std::vector<Finding>& out);
void sectionFigures(const TrueWing& wing, FigureList& out);
void panelFigures(const TrueWing& wing, FigureList& out);
void ribFigures(const TrueWing& wing, FigureList& out);
void sparFigures(const TrueWing& wing, FigureList& out);
void joinFigures(const TrueWing& wing, FigureList& out);
void settingUpFigures(const TrueWing& wing, FigureList& out);

inline constexpr const char* planeGeometry = "plane geometry";
inline constexpr const char* ruledLoft = "the ruled panel: straight lines join equal chord fractions of root and tip";

} // namespace eup
