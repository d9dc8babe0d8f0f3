// A hot wire's path as text for a machine with four axes, in an open dialect (docs/machine-dialect.md), and read back.
#pragma once
#include "core/foam/wire_program.h"
#include "core/foam/wire_travel.h"
#include <string>
#include <string_view>
#include <vector>

namespace eup {

/// How far a path may send a machine: mm that the ends travel from zero.
struct WireReach {
  double aft = HotWire{}.travelAft, up = HotWire{}.travelUp;
};
inline WireReach reachOf(const HotWire& wire) {
  return {wire.travelAft, wire.travelUp};
}

/// The head says what is cut. What is written has been read back by `readWireCode`: a problem where that refuses it, or
/// where the letters of the axes cannot be used: four different ones of A to C, U to Z.
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
inline constexpr double fastestCut = 100;                      ///< mm/s of either end while the wire is hot
inline constexpr double longestWait = 600, longestMove = 3600; ///< seconds

/// Reads the dialect with these letters. A problem with its line for a word that is not in the dialect or stands there
/// twice, a number that is none, a place beyond the machine's reach, a cut that is cold or too fast, a wait or a move
/// that is too long, a text without an end, and anything but comments after it.
Result<ReadCode> readWireCode(std::string_view text, const std::string& axes, const WireReach& reach = {});

/// The text line by line. Whatever some machine may take for the end of a line ends one: CR, LF, VT, FF, NEL (U+0085),
/// LS and PS (U+2028, U+2029); CR and LF together end one.
std::vector<std::string_view> codeLines(std::string_view text);

/// What it does from moment to moment, in the air as fast as `rapid` (mm/s, of the end that goes farther).
WireTravel travelOf(const ReadCode& read, double rapid = 25);

/// Whether four letters can name the axes; what is wrong with them, else empty.
std::string wrongWithAxes(std::string_view axes);

} // namespace eup
