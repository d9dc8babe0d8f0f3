// What glue joints say of the order of work: at which step each is made, and what must be in before something is shut.
#pragma once
#include "core/bench/step.h"
#include "core/wing/true_wing.h"

namespace eup {

/// The keys of the steps that join a panel to the one inside it, and a wing's halves.
std::string joinKey(const TruePanel& panel, std::optional<Hand> hand);
std::string centreKey(const TruePanel& root);

/// Tells every step its joints: each is made where the later of its two pieces goes in; between panels, and between
/// hands, where they are joined.
void putJoints(const TrueWing& aircraft, std::vector<Step>& steps);

/// What lies between sheet above and sheet below goes in before the second of them: such a step comes to need it,
/// unless that would go in a circle.
void keepWaysOpen(const TrueWing& aircraft, std::vector<Step>& steps);

/// Why steps cannot be done in any order that they allow: a sentence each. Pieces that go in nowhere or twice, joints
/// behind what is shut.
std::vector<std::string> contradictionsIn(const TrueWing& aircraft, const std::vector<Step>& steps);

} // namespace eup
