// What holds wings to their fuselage and to each other, set in the finished wing: struts and wires under its loads, and
// posts.
#pragma once
#include "core/wing/true_wing.h"

namespace eup {

/// Puts the struts that are decided on the wings' loads and among their parts; they have their panels and their loads.
void holdWings(std::vector<WholeWing>& wings, const std::vector<Wing>& decided);

/// Two posts that carry the wing at its root, level with the fuselage, mm and rad.
struct StandingPosts {
  double front = 0, rear = 0; ///< from the ends of their tubes to the underside
  double apart = 0;           ///< along the fuselage
  double frontAft = 0;        ///< of the front one, aft of the root's leading edge along the fuselage
  double length(double under, const Posts& posts) const { return under + posts.inTube; }
};
std::optional<StandingPosts> postsOf(const WholeWing& w, const Posts& posts);

/// The posts as pieces, in the axes of the wing's root panel. Both hands share them.
void addPosts(WholeWing& w, const Posts& posts);

} // namespace eup
