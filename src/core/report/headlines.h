// Which figures a builder comes to a stage for: shown large, whatever else is told.
#pragma once
#include "core/design/subject.h"
#include <string>
#include <vector>

namespace eup {

/// The most wanted figures of what is being decided, as kinds (see `kindOf`), most wanted first. Of a wing that does
/// not have one of them the next is shown.
std::vector<std::string> headlinesOf(Stage stage, const Subject& subject);

/// "rib.5.chord" → "rib.*.chord", "panel2.brace.bend" → "brace.bend": the same figure of another rib, panel or wing.
std::string kindOf(std::string key);

} // namespace eup
