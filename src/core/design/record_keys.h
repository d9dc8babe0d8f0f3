// The names under which steps, pieces and looks are recorded, and decided: each is put together here alone. They hold
// the lasting numbers of wing and panel, so that they stay with the wood when panels and wings change places.
#pragma once
#include "core/design/bench_design.h"
#include <optional>
#include <string>

namespace eup {

/// What the keys of a panel's steps begin with: "1.2.right."; "1.1.one." where there is one hand alone.
std::string stepPrefix(PanelNumber panel, std::optional<Hand> hand);
/// Of an own step, by the number that it keeps: "own.3".
std::string ownStepKey(int number);
/// The same step of the other hand: "1.2.left.off" for "1.2.right.off"; as it is where a key names no hand.
std::string otherHandsKey(const std::string& key);
/// What kind of work it is, whichever panel and hand it is done on: the last word of its key, without its number.
std::string kindOfStep(const std::string& key);

/// Of a piece, on the scales and on the parts list: "wings.0.panels.1.rib.4".
std::string pieceKey(PanelNumber panel, const std::string& part);
/// Of what is looked at before a panel is closed: "0.1:glue".
std::string holdKey(PanelNumber panel, const std::string& kind);

} // namespace eup
