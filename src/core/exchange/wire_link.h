// The computer's side of the talk with a hot wire's machine (docs/machine-dialect.md): every line of a path is
// numbered, summed, sent while the machine has room, and sent again where it did not arrive. It knows no port and no
// clock: bytes and the time are handed to it.
#pragma once
#include "core/foam/foam_core.h"
#include <array>
#include <map>
#include <string>
#include <string_view>
#include <vector>

namespace eup {

enum class WireState {
  off,      ///< nobody is there
  greeting, ///< waited for its name
  ready,
  working,
  held,    ///< stands, its wire cold
  warming, ///< goes on once the wire is hot again
  done,    ///< the path is through, to its last line
  stopped, ///< by us
  refused, ///< it would not have a line
  alarm,   ///< it stopped by itself
  lost     ///< nothing is heard
};

struct WireStatus {
  WireState state = WireState::off;
  TowerStep at;
  double heat = 0;             ///< percent
  int lines = 0, done = 0;     ///< of the path that was begun; done ones
  int resent = 0, garbled = 0; ///< lines that were sent again; answers that could not be read
  std::string said;            ///< why it is refused, in alarm, lost
  std::string axes;            ///< as the machine names them, of such a travel
  std::array<double, 4> travel{};
  /// Within half a millimetre of its zero, from where every path begins.
  bool atZero() const { return at.inner.cwiseAbs().maxCoeff() < 0.5 && at.outer.cwiseAbs().maxCoeff() < 0.5; }
  bool operator==(const WireStatus& o) const {
    return state == o.state && at.inner == o.at.inner && at.outer == o.at.outer && heat == o.heat && lines == o.lines &&
           done == o.done && resent == o.resent && garbled == o.garbled && said == o.said && axes == o.axes;
  }
};

class WireLink {
public:
  /// Asks who is there.
  void greet(double now);
  /// Begins a path, a line a command; comments are left out. Nothing unless it is ready, done, stopped or refused.
  void begin(std::string_view text, double now);
  void hold();
  void resume();
  /// Cold and still, what it has of the path forgotten.
  void stop();
  /// After an alarm that has been looked into.
  void clear();
  /// It was brought to its zero by hand, at rest.
  void zero();
  /// The port is gone: why.
  void lose(const std::string& why);
  void hear(std::string_view bytes, double now);
  /// To be called every few hundredths of a second; what is to be written to the port.
  std::string live(double now);
  const WireStatus& status() const { return told; }

private:
  enum class Wish { nothing, begin, hold, resume, stop, clear, zero };
  void said(std::string_view line, double now);
  void put(const std::string& words);
  void goBackTo(int line);
  void at(const std::vector<std::string_view>& words);

  WireStatus told;
  std::vector<std::string> lines;
  std::string half, out;
  Wish wish = Wish::nothing; ///< said again until it is so
  double heard = 0, asked = -1, wished = -1;
  int sent = 0, taken = 0; ///< lines, from 1
  int room = 0;            ///< of the machine beyond `taken`
  int question = 0;
  std::map<int, int> sentAt; ///< what had been sent when it was asked
  bool begun = false;
};

/// A path without its comments and empty lines, as it is sent.
std::vector<std::string> wireLines(std::string_view text);

} // namespace eup
