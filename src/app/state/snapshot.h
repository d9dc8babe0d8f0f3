// The design as it stands, and the wing that is on the board: of this design, of the last one that could be built, or
// none.
#pragma once
#include "core/wing/true_wing.h"
#include <memory>

namespace eup::app {

/// Cheap to copy: dialogs and long work keep one while the window goes on.
struct Snapshot {
  std::shared_ptr<const Design> design;
  std::shared_ptr<const TrueWing> wing;   ///< none where no design since the file was opened could be built
  bool current = false;                   ///< whether that wing follows from this design
  std::shared_ptr<const JudgedPlan> plan; ///< of this design, whether or not a wing follows from it
  std::vector<Finding> findings;          ///< of this design: the wing's own, or why there is none

  /// Whether the wing has that panel with as many spars as the design: then a place in one is the same in the other.
  bool bothHave(PanelId id) const {
    const auto w = static_cast<std::size_t>(id.wing), p = static_cast<std::size_t>(id.panel);
    return wing && w < wing->wings.size() && p < wing->wings[w].panels.size() && w < design->wings.size() &&
           p < design->wings[w].panels.size() &&
           wing->wings[w].panels[p].frame.spars.size() == design->wings[w].panels[p].spars.size();
  }
};

} // namespace eup::app
