// A hot wire's path as text for a machine with four axes, in an open dialect (docs/machine-dialect.md), and read back.
#pragma once
#include "core/foam/wire_program.h"
#include "core/foam/wire_travel.h"
#include <string>
#include <string_view>

namespace eup {

/// The head says what is cut; a problem where the letters of the axes cannot be used: four different ones of A to C, U
/// to Z.
Result<std::string> wireCode(const WireProgram& program, const HotWire& wire, const std::string& title);

/// What such a text makes a machine do, line by line.
struct ReadMove {
  int line = 0; ///< from 1
  TowerStep to;
  double seconds = 0; ///< 0 in the air
  double heat = 0;    ///< percent of the wire's, meanwhile
  double wait = 0;    ///< seconds that it stands before
  bool hot() const { return heat > 0; }
};
struct ReadCode {
  std::vector<ReadMove> moves;
  double hotSeconds = 0, dwells = 0;
  Box inner, outer;
};
/// Reads the dialect with these letters. A word that is not in it, a number that is none, a cold cut, a text without an
/// end: a problem with its line.
Result<ReadCode> readWireCode(std::string_view text, const std::string& axes);

/// What it does from moment to moment, in the air as fast as `rapid` (mm/s, of the end that goes farther).
WireTravel travelOf(const ReadCode& read, double rapid = 25);

/// Whether four letters can name the axes; what is wrong with them, else empty.
std::string wrongWithAxes(std::string_view axes);

} // namespace eup
