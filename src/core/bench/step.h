// A step of the work at the bench: what is done, on what, with what, and what has to be done before it.
#pragma once
#include "core/measure/hand.h"
#include <optional>
#include <string>
#include <vector>

namespace eup {

struct Step {
  std::string key;                    ///< stays the same while the wing has it: "1.2.right.ribsOn" (wing, panel, hand)
  std::string what;                   ///< "Glue the ribs to the lower caps"
  std::string on;                     ///< "R1 to R13, right hand"
  std::string with{};                 ///< glue or tool; may be empty
  double minutes = 0;                 ///< with hands on it: rough, common practice, no source
  double cureHours = 0;               ///< at the room's temperature, before what needs it can begin
  bool attended = false;              ///< not to be left alone
  std::vector<std::string> needs;     ///< keys of steps
  std::string look{};                 ///< to be looked at before one goes on; may be empty
  std::string caution{};              ///< where it can hurt; may be empty
  std::string print{};                ///< key of the print that lies on the bench; may be empty
  std::vector<std::string> figures{}; ///< keys of figures to have at hand
  int wing = 0;
  std::optional<int> panel{}; ///< counted from 0
  std::optional<Hand> hand{}; ///< nothing for what both have in common
};

/// Hours until a joint of that glue can be handled on, at 20 °C: common practice and makers' sheets, no source; a key
/// of the table of glues. Another temperature: twice as long for every 10 K less (from memory), 0.25 to 8 times.
double cureHours(const std::string& glue, double celsius);

} // namespace eup
