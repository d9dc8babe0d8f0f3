// A machine with four axes and a hot wire, as far as its byte stream shows it: a stand-in for a real one, with faults
// that can be switched on. It knows no clock and no port: bytes and the time are handed to it.
#pragma once
#include <array>
#include <deque>
#include <random>
#include <string>
#include <string_view>

namespace eup::instruments {

/// What goes wrong with it; 0 for never. Lines are counted as they are numbered, from 1.
struct WireFaults {
  double noise = 0;     ///< share of the bytes that are garbled, either way
  double deadAfter = 0; ///< seconds, from when on nothing passes either way
  double slow = 0;      ///< seconds that every answer is late
  int stallAt = 0;      ///< a motor stalls in that line
  int limitAt = 0;      ///< a limit switch is met in that line
  int refuseAt = 0;     ///< that line is refused
  unsigned seed = 1;    ///< of the noise
};

struct WireMachine {
  std::string axes = "XYUV";                             ///< inner tower aft and up, outer tower aft and up
  std::array<double, 4> travel = {1200, 500, 1200, 500}; ///< mm from zero
  double rapid = 25;                                     ///< mm/s in the air, the axis that goes farthest
  double warmth = 2;                                     ///< s in which two thirds of a change of heat are there
  double patience = 3;                                   ///< s without a word from the computer: then it holds, cold
};

class SimulatedWire {
public:
  explicit SimulatedWire(WireMachine machine = {}, WireFaults faults = {});
  /// Bytes from the computer at such a time, s; it never goes back.
  void hear(std::string_view bytes, double now);
  /// Lives on until then; bytes for the computer are in the answer.
  std::string live(double now);

  const std::array<double, 4>& at() const { return place; }
  double heat() const { return warm; } ///< percent
  bool cold() const { return target <= 0; }
  const char* state() const;
  int done() const { return finished; }
  /// mm that the wire has gone hot.
  double burnt() const { return way; }

private:
  enum class Mode { ready, working, held, warming, alarm };
  struct Line {
    int number = 0;
    bool moves = false;
    std::array<double, 4> to{};
    double seconds = 0; ///< of the move, or to wait
    double heatTo = -1; ///< percent; negative leaves it
    bool end = false;
  };
  void said(std::string_view line);
  void control(std::string_view word, std::string_view rest);
  void take(int number, std::string_view command);
  /// Empty, or why it is refused.
  std::string read(std::string_view command, Line& line);
  void run(double seconds);
  void alarm(const std::string& why);
  void tell(const std::string& words);
  int room() const;

  WireMachine machine;
  WireFaults faults;
  std::mt19937 random;
  std::string half;                                   ///< a line that has not ended yet
  std::deque<std::pair<double, std::string>> answers; ///< and when they go
  std::deque<Line> list;
  std::array<double, 4> place{}, from{}, planned{};
  double spent = 0; ///< s in the line that is under way
  double clock = 0, heard = 0;
  double warm = 0, target = 0, resumeHeat = 0;
  double way = 0;
  int expected = 1, finished = 0, askedAgain = 0;
  bool byTime = false, plannedHot = false;
  Mode mode = Mode::ready;
};

} // namespace eup::instruments
