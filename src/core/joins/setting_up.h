// Setting up: how high the underside lies over the building board, and at what slope, under every rib.
#pragma once
#include "core/parts/frame.h"
#include "core/parts/tip.h"

namespace eup {

struct Support {
  std::string line;  ///< "LE", a spar's name, "TE front", "TE"
  double x = 0;      ///< aft of the rib's nose along the chord line
  double t = 0;      ///< mm of the panel's span
  double height = 0; ///< mm of the underside over the board
  double slope = 0;  ///< rad, + rising aft, of what lies there
  bool there = true; ///< false where its spar has ended, or a turned rib has run out over the panel's end
};

/// A foot that the rib stands on: part of the rib's sheet, below its underside. Chord axes.
struct Foot {
  Polyline outline;                     ///< closed; reaches a little into the rib's wood, so that the two are one
  Point breakFrom{0, 0}, breakTo{0, 0}; ///< along the wood's lower edge
  double length = 0;                    ///< mm from the board to the underside at its middle
};

struct RibSupports {
  int rib = 1;
  std::vector<Support> at;
  double nose = 0; ///< mm of the nose point of the chord line over the board
  std::vector<Foot> feet;
};

/// How a panel lies on the board while it is built, its lowest place on it.
struct Lie {
  Datum datum = Datum::chordLevel; ///< what was used
  bool fellBack = false;           ///< the underside is convex: it cannot lie flat, the chord was levelled instead
  double turn = 0;                 ///< rad that the panel is turned nose down from root chord level
  double board = 0;                ///< the board's height over the root's leading edge point, in axes turned with it
};
Lie lieOf(const PanelBrief& design, const PanelShape& shape);

/// Where the packing under the leading edge stands, mm aft of a rib's nose along its chord line: under the decided
/// place of the stock; without stock at a twentieth of the chord, where sheet or rib bears.
double noseSupport(const PanelBrief& design, double chord, double turn = 0);

struct SettingUp : Lie {
  double lift = 0; ///< mm that the panel's lowest place stands over the board: with feet; `board` is then so much lower
  std::vector<RibSupports> ribs;
};

/// How high the underside of a tip's stock lies over the board at a place where it is held, so that its middle meets
/// the tip rib's chord line, mm.
double underTipRest(const PanelBrief& design, const PanelLoft& loft, const SettingUp& setting, const TipRest& rest);

/// The panel lies with its lowest point on the board, or stands that much over it on the feet of its ribs.
SettingUp settingUp(const PanelBrief& design, const PanelShape& shape, const Frame& frame);

} // namespace eup
