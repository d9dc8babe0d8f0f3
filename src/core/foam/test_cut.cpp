#include "core/foam/test_cut.h"
#include <cmath>
#include <fmt/format.h>

namespace eup {

Result<TestCut> testCut(const TestStrip& first, const std::optional<TestStrip>& second) {
  const auto wrong = [](const TestStrip& s) -> std::string {
    if (!(s.length > 0 && s.seconds > 0)) return "the length and the time must be more than nothing";
    if (!(s.left > 0 && s.left < s.apart)) return "the strip must be narrower than the wire's two ways lay apart";
    if (s.slot() < 0.1 || s.slot() > 10)
      return fmt::format("a slot of {:.2f} mm: 0.1 to 10 can be worked with", s.slot());
    if (s.speed() < 0.1 || s.speed() > 50) return fmt::format("{:.2f} mm/s: 0.1 to 50 can be worked with", s.speed());
    return {};
  };
  if (const std::string why = wrong(first); !why.empty()) return Problem{"first strip", why};
  TestCut out{first.slot(), first.speed()};
  if (!second) return out;
  if (const std::string why = wrong(*second); !why.empty()) return Problem{"second strip", why};
  const double speeds = first.speed() / second->speed();
  if (std::abs(std::log(speeds)) < std::log(1.2))
    return Problem{"second strip", "cut it at least a fifth faster or slower than the first"};
  const double power = std::log(second->slot() / first.slot()) / std::log(speeds);
  if (power < 0 || power > 2)
    return Problem{"second strip", fmt::format("the slot would grow with the power {:.2f} of how much slower the wire "
                                               "goes; 0 to 2 can be: cut both again",
                                               power)};
  out.power = power;
  return out;
}

} // namespace eup
