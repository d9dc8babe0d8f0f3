// What a wing carries taken out of it again.
#pragma once
#include "core/design/design.h"

namespace eup {

/// Without that spar, counted from 0, which the panel has. The others keep what is decided of them and hangs on them:
/// a number of a spar that stands elsewhere counts on. What ended or began at it does so where it was, as a share of
/// the chord; braces and struts on it go with it, and a strut of another wing that stood on it stands on the fuselage.
Design withSparTakenOut(const Design& design, PanelId panel, int spar);

} // namespace eup
