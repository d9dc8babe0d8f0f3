// What tests draw at random: from a seed, so that a failure can be seen again, and as many as are asked for.
#pragma once
#include "core/described/decisions.h"
#include <cmath>
#include <cstdlib>
#include <random>

namespace eup::test {

/// A number of the environment's: EUPTERA_FUZZ for how many are tried, EUPTERA_FUZZ_FROM for the first seed.
inline int asked(const char* name, int usual) {
  const char* typed = std::getenv(name);
  return typed ? std::atoi(typed) : usual;
}

class Chance {
public:
  explicit Chance(unsigned seed) : engine(seed) {}
  double share() { return std::uniform_real_distribution<double>(0, 1)(engine); }
  double between(double low, double high) { return low + (high - low) * share(); }
  bool once(int in) { return number(in) == 0; }
  /// In [0, below).
  int number(int below) { return std::uniform_int_distribution<int>(0, std::max(below, 1) - 1)(engine); }
  /// Within limits: at an end, near the low one, or anywhere.
  double within(const Limits& l) {
    switch (number(4)) {
    case 0:
      return once(2) ? l.low : l.high;
    case 1:
      return l.low + (l.high - l.low) * std::pow(share(), 6);
    default:
      return l.low + (l.high - l.low) * share();
    }
  }

private:
  std::mt19937 engine;
};

} // namespace eup::test
