// Everything that follows from a design. Computed whole by `work`, never stored, never edited.
#pragma once
#include "core/measure/finding.h"
#include "core/plan/judge.h"
#include "core/wing/asked_once.h"
#include "core/wing/whole_wing.h"
#include <variant>

namespace eup {

/// What a finding of a left hand of its own begins with.
inline constexpr const char* leftHandSays = "Left hand: ";

struct TrueWing {
  TrueWing();
  TrueWing(const TrueWing&);
  TrueWing(TrueWing&&) noexcept;
  TrueWing& operator=(const TrueWing&);
  TrueWing& operator=(TrueWing&&) noexcept;
  ~TrueWing();

  Design design;   ///< what it follows from
  JudgedPlan plan; ///< the paper plan, as far as it was read
  std::vector<WholeWing> wings;
  double gustFactor = 1;                ///< load factor of the gust
  std::shared_ptr<const TrueWing> left; ///< whose right hand is this one's left; null while that is the mirror image

  const WholeWing& main() const { return wings.front(); }
  const WholeWing& wing(int number) const { return wings.at(static_cast<std::size_t>(number)); }
  const TruePanel& at(PanelId id) const {
    return wings.at(static_cast<std::size_t>(id.wing)).panels.at(static_cast<std::size_t>(id.panel));
  }
  /// The main wing's innermost panel.
  const TruePanel& inner() const { return at({}); }
  /// What that hand is built from: as a right hand, to be turned over for the left.
  const TrueWing& of(Hand hand) const { return hand == Hand::left && left ? *left : *this; }

  /// What is told of it, kept with it: by the rooms above, for themselves.
  std::shared_ptr<const AskedOnce> asked = std::make_shared<AskedOnce>();
};

/// The wing that follows from the design; or, when its decisions contradict each other, the findings that say why
/// there is none. Pure: the same design gives the same wing.
std::variant<TrueWing, std::vector<Finding>> work(const Design& design);

/// The same wing beside other records, as `work` would make it: nothing of it is worked out anew, since no wood follows
/// from what was ticked or read; what is told of it is.
TrueWing withRecords(const TrueWing& wing, Records records);

} // namespace eup
