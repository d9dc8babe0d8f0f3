// Long work tells how far it is, and can be stopped.
#pragma once
#include <functional>

namespace eup {

/// Told the share done (0 … 1) now and then; answers false to stop.
using Progress = std::function<bool(double)>;

} // namespace eup
