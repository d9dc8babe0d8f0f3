// An instrument that reads one thing ten times a second, as far as its byte stream shows it (docs/instruments.md): a
// stand-in for a real incidence gauge or a pair of scales, with faults that can be switched on. It knows no clock and
// no port: bytes and the time are handed to it.
#pragma once
#include <random>
#include <string>
#include <string_view>

namespace eup::instruments {

struct ReaderKind {
  std::string name = "gauge"; ///< what it says that it is
  std::string unit = "deg";
  double step = 0.01;   ///< it shows its value in such steps
  double settles = 0.6; ///< s in which two thirds of a change are there
  bool turns = true;    ///< can be turned round: then it reads the other way, its own offset stays
};

/// What is wrong with it; 0 for nothing.
struct ReaderFaults {
  double drift = 0;       ///< units a minute
  double noise = 0;       ///< one standard deviation, units
  double offset = 0;      ///< units that it reads too much
  double dropped = 0;     ///< share of its lines that never go
  double garbled = 0;     ///< share of its lines with a wrong byte
  double rubbish = 0;     ///< share of its lines that are none
  double silentAfter = 0; ///< s, from when on nothing comes
  unsigned seed = 1;
};

class SimulatedReader {
public:
  explicit SimulatedReader(ReaderKind kind, ReaderFaults faults = {});
  /// What it lies on.
  void put(double value) { truth = value; }
  void turnRound() { turned = !turned; }
  void hear(std::string_view bytes, double now);
  /// Lives on until then; bytes for the computer are in the answer. Time never goes back.
  std::string live(double now);

private:
  std::string line(double now);
  ReaderKind kind;
  ReaderFaults faults;
  std::mt19937 random;
  std::string half, answers;
  double truth = 0, shown = 0, before = 0, zero = 0, next = 0;
  long count = 0;
  bool turned = false;
};

} // namespace eup::instruments
