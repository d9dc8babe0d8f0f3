// A wire's slot from strips that were cut for a test.
#pragma once
#include "core/design/design.h"
#include "core/measure/result.h"

namespace eup {

/// Foam cut twice between straight guides: how far the wire's two ways lay apart, how wide the strip between them is,
/// and how long one of them took over such a length. All > 0, mm and seconds.
struct TestStrip {
  double apart = 20, left = 19, length = 300, seconds = 75;
  double slot() const { return apart - left; } ///< half of it on either side
  double speed() const { return length / seconds; }
};

struct TestCut {
  double slot = 0, speed = 0;    ///< of the first strip
  std::optional<double> power{}; ///< by which the slot grows as the wire goes slower: from two strips
};

/// A problem where a strip is no narrower than its guides, speeds are too alike to tell a power from, or what follows
/// is beyond what a wire's decisions may be.
Result<TestCut> testCut(const TestStrip& first, const std::optional<TestStrip>& second = std::nullopt);

} // namespace eup
