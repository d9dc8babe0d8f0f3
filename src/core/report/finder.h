// What the findings of a panel are said with.
#pragma once
#include "core/design/subject.h"
#include "core/wing/true_wing.h"
#include <fmt/format.h>

namespace eup {

struct Finder {
  const TruePanel& w;
  std::vector<Finding>& out;

  std::string len(double mm) const { return told(mm, Quantity::length, w.design.unit); }
  void say(Finding f) { out.push_back(std::move(f)); }
};

/// "R3" or "R3 to R9" for the ribs that share a fault.
inline std::string ribNames(const std::vector<int>& ribs) {
  if (ribs.size() == 1) return fmt::format("R{}", ribs.front());
  if (ribs.back() - ribs.front() + 1 == static_cast<int>(ribs.size()))
    return fmt::format("R{} to R{}", ribs.front(), ribs.back());
  return fmt::format("R{} … R{} ({} ribs)", ribs.front(), ribs.back(), ribs.size());
}

/// One finding for all ribs that have the same fault: the worst is named.
struct SharedFault {
  std::vector<int> ribs;
  double worst = 0;
  int worstRib = 1;
  void add(int rib, double how) {
    if (ribs.empty() || how > worst) worst = how, worstRib = rib;
    ribs.push_back(rib);
  }
};

/// "brace.", "brace2.": what the keys of a brace's figures begin with, counted from 0.
inline std::string braceKey(int number) {
  return number == 0 ? "brace." : fmt::format("brace{}.", number + 1);
}

/// One of a join's braces, and what its figures and decisions are called.
struct BraceTold {
  BraceTold(const TruePanel& w, const Brace& b)
      : brace(b), decided(w.design.join.braces[static_cast<std::size_t>(b.number)]) {}
  const Brace& brace;
  const Bracing& decided;
  std::string key(const char* what) const { return braceKey(brace.number) + what; }
  std::string name() const { return braceName(brace.number); }
  std::string label(const std::string& words) const {
    if (brace.number == 0) return words;
    std::string large = name();
    large[0] = static_cast<char>(std::toupper(static_cast<unsigned char>(large[0])));
    return large + ": " + words;
  }
  std::string decision(const char* what) const { return fmt::format("join.braces.{}.{}", brace.number, what); }
};

// What each trade has to say against a panel; `trades.cpp` lists them.
void sectionFindings(Finder f);
void shapeFindings(Finder f);
void ribFindings(Finder f);
void clashFindings(Finder f); ///< what wants the same place in a rib
void strengthFindings(Finder f);
void shortSparFindings(Finder f);
void bayFindings(Finder f);
void joinFindings(Finder f);  ///< its shape
void jointFindings(Finder f); ///< what holds it
void tipFindings(Finder f);
void stackFindings(Finder f);
void skinFindings(Finder f);
void coverFindings(Finder f);
void clothFindings(Finder f);
void foamFindings(Finder f);
void foamBetweenFindings(Finder f);
void sheetFindings(Finder f);
void surfaceFindings(Finder f);
void fittingFindings(Finder f);
void holdFindings(Finder f);
void stickFindings(Finder f);
void twistFindings(Finder f);
void footFindings(Finder f);
/// And against a wing as a whole.
void massFinding(const TrueWing& aircraft, std::vector<Finding>& out);
void softFindings(const WholeWing& wing, std::vector<Finding>& out);
void hingeJoinFindings(const WholeWing& wing, std::vector<Finding>& out);

} // namespace eup
