// A finding: something about the wing that its builder should know, with what to do about it.
#pragma once
#include "core/measure/figure.h"
#include <optional>
#include <string>
#include <vector>

namespace eup {

/// A note is good to know; a warning wants a look; a serious one will not build or fly as it stands.
enum class Severity { note, warning, serious };

struct Finding {
  std::string key; ///< stable name, documented in docs/figures.md
  Severity severity = Severity::warning;
  Stage stage = Stage::panels;
  std::string what;                     ///< what is wrong, short
  std::string detail;                   ///< by how much
  std::string remedy;                   ///< what to do
  std::optional<int> rib{};             ///< the rib it is about
  std::vector<std::string> decisions{}; ///< paths of the decisions that can cure it
  int wing = 0;
  std::optional<int> panel{}; ///< counted from 0, when it is about one panel
  bool operator==(const Finding&) const = default;
};

const char* name(Severity severity);
const char* name(Stage stage);

} // namespace eup
