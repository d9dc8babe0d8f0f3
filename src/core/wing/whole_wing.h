// One finished wing: its panels, and what only all of them together have.
#pragma once
#include "core/joins/in_space.h"
#include "core/strength/soft_wing.h"
#include "core/strength/struts.h"
#include "core/wing/true_panel.h"

namespace eup {

/// What is told of a wing's other hand where it is not the mirror image of this one.
struct OtherHand {
  Planform planform;
  double fromAbove = 0;             ///< mm, half span seen from above
  double tipArea = 0, tipReach = 0; ///< of what stands beyond the tip rib
  std::vector<double> grams;        ///< of its pieces, by panel
  std::vector<int> pieces;          ///< and how many are its own
};

/// One wing: its panels from the middle outwards, and what only all of them together have.
struct WholeWing {
  WholeWing();
  WholeWing(const WholeWing&);
  WholeWing(WholeWing&&) noexcept;
  WholeWing& operator=(const WholeWing&);
  WholeWing& operator=(WholeWing&&) noexcept;
  ~WholeWing();

  std::vector<TruePanel> panels;
  Planform planform;
  double effectiveDihedral = 0;    ///< rad
  double fromAbove = 0;            ///< mm, half span seen from above
  double tipRise = 0;              ///< mm, of the outermost tip over the root, along the chord lines
  std::vector<LoadCase> loads;     ///< pulling up first
  double tipDeflection = 0;        ///< mm, all panels' bending together, each under the load that is worst at its root
  std::optional<SoftWing> soft;    ///< where every panel has a twist test
  std::vector<PanelFrame> inSpace; ///< of each panel in the finished wing
  bool mirrored = true;            ///< has a left hand too
  std::optional<OtherHand> other;  ///< where the hands differ
  HeldWing held;                   ///< by struts and wires

  /// Stations, and with them ribs, are numbered through all panels.
  int stationCount() const { return panels.back().shape.stations.all.back().number; }
  /// The panel that the station of that number belongs to; the nearest for a number that is not there.
  const TruePanel& panelAt(int station) const;
};

/// Both its halves, alike or not.
inline Planform bothHands(const WholeWing& w) {
  return w.other ? together(w.planform, w.other->planform) : w.planform;
}

} // namespace eup
