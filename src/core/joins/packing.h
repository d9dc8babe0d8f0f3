// Packing: a height made up of the stock that is at hand, and strips cut to a taper.
#pragma once
#include "core/joins/setting_up.h"

namespace eup {

/// Pieces laid on each other to make a height.
struct PackingStack {
  std::vector<double> pieces; ///< mm, thickest first; empty for no packing
  double remainder = 0;       ///< height less the pieces, mm: what is left to be made up, or is too much
};

/// Within this the height counts as made: a packing is felt, not measured, finer than that. mm.
inline constexpr double packingWithin = 0.15;
inline constexpr int mostPacking = 5; ///< pieces under one place: more of them slide

inline constexpr double thinnestStock = 0.1; ///< mm; thinner is paper
inline constexpr int highestStack = 40;      ///< pieces of the thickest: higher than that wants a block
inline constexpr std::size_t mostStock = 12; ///< thicknesses that are tried, the thickest ones

/// The fewest pieces from `stock` (mm; what is thinner than `thinnestStock` is passed over) that come within
/// `packingWithin`; if none do, those that come nearest. None, and all of the height as remainder, where a stack would
/// be higher than `highestStack`.
PackingStack stackFor(double height, const std::vector<double>& stock);

/// "3 + 1.5", "3 + 0.3 to make up", "nothing": in the document's unit.
std::string stackText(const PackingStack& stack, LengthUnit unit);

/// A strip under one line of supports, from the root rib to the tip rib.
struct TaperedStrip {
  std::string line;         ///< as `Support::line`
  double root = 0, tip = 0; ///< mm high
  double length = 0;        ///< mm of true span
  double fence = 0;         ///< rad: how far the saw's fence is turned
  double worstOff = 0;      ///< mm that the underside leaves a strip of straight taper by
  int worstRib = 1;
};

/// One for each line of supports, in their order.
std::vector<TaperedStrip> taperedStrips(const SettingUp& setting);

} // namespace eup
