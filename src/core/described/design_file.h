// The wing file: JSON that a person can read and diff. docs/file-format.md describes it.
#pragma once
#include "core/design/design.h"
#include "core/measure/result.h"
#include <string>
#include <string_view>
#include <vector>

namespace eup {

inline constexpr std::string_view fileFormatName = "euptera-wing";
inline constexpr int fileFormatVersion = 21;

/// Keys in a fixed order, lengths in mm, angles in degrees (keys end in Deg), numbers as short as they read back.
std::string designToText(const Design& design);

struct ReadDesign {
  Design design;
  std::vector<std::string> notes; ///< what was missing and took its default, what was not known and is not kept
};

/// A shipped demo wing, with a copy of its plan in it. `name` is one of `shipped::demoNames`.
Design demoDesign(std::string_view name);

/// Refuses, with place and cause: text that is no JSON (line and column), a file of another kind, one from a newer
/// program, a value of the wrong type or outside its limits (by its path).
Result<ReadDesign> designFromText(std::string_view text);

} // namespace eup
