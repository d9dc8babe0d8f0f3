// The computer's side of the talk with a reading instrument, a gauge or scales (docs/instruments.md). It knows no port
// and no clock: bytes and the time are handed to it.
#pragma once
#include <deque>
#include <optional>
#include <string>
#include <string_view>

namespace eup {

enum class InstrumentState {
  off,     ///< nobody is there
  asked,   ///< who is it?
  reading, ///< it reads
  silent,  ///< nothing has come for a while
  foreign, ///< what comes is no instrument's talk
  lost     ///< the port is gone
};

struct InstrumentStatus {
  InstrumentState state = InstrumentState::off;
  std::string kind, unit;      ///< "gauge", "deg"
  std::optional<double> last;  ///< as it came
  bool still = false;          ///< says the instrument
  std::optional<double> mean;  ///< of the last second and a half while it was still, less the zero
  double scatter = 0;          ///< one standard deviation of one reading in that mean
  int averaged = 0;            ///< readings in it
  double zero = 0;             ///< taken off here
  int missed = 0, garbled = 0; ///< lines that never came, by their numbers; that could not be read
  bool held = false;           ///< the mean stays as it was
  std::string said;            ///< why it is lost
};

class InstrumentLink {
public:
  /// Asks who is there.
  void greet(double now);
  void hear(std::string_view bytes, double now);
  /// To be called every few hundredths of a second; what is to be written to the port.
  std::string live(double now);
  void lose(const std::string& why);
  /// What it reads now is nought from now on; nothing while there is no mean.
  void zeroHere();
  /// A gauge that was read as it lies and is now turned round reads both its own error and the slope the other way:
  /// half the sum of both is its error. The first call keeps the reading, the second sets the zero and tells it.
  std::optional<double> turnedRound();
  bool turning() const { return firstWay.has_value(); }
  void hold(bool held);
  const InstrumentStatus& status() const { return told; }

private:
  void said(std::string_view line, double now);
  void average(double now);
  struct Read {
    double at = 0, value = 0;
  };
  InstrumentStatus told;
  std::deque<Read> window;
  std::optional<double> firstWay;
  std::string half, out;
  double heard = 0, greeted = 0;
  long count = -1;
  int badInRow = 0;
};

} // namespace eup
