// Many things of one kind made side by side on the machine's processors.
#pragma once
#include <algorithm>
#include <atomic>
#include <future>
#include <thread>
#include <vector>

namespace eup {

/// `make(i)` for every i below `count`, in their order. `make` is called from several threads at once, so it may only
/// read what is shared; what it throws is thrown here. Fewer than `few` are made in this thread alone: to start another
/// takes about as long as to cut a small rib.
template <class Make> auto madeInParallel(std::size_t count, const Make& make, std::size_t few = 6) {
  using Made = decltype(make(std::size_t{0}));
  constexpr std::size_t most = 8;
  std::vector<Made> out(count);
  const std::size_t hands =
      count < few ? 1 : std::clamp<std::size_t>(std::thread::hardware_concurrency(), 1, std::min(most, count));
  std::atomic<std::size_t> next{0};
  const auto share = [&] {
    for (std::size_t i = next++; i < count; i = next++) out[i] = make(i);
  };
  std::vector<std::future<void>> others;
  others.reserve(hands);
  for (std::size_t k = 1; k < hands; ++k) others.push_back(std::async(std::launch::async, share));
  share();
  for (auto& other : others) other.get();
  return out;
}

} // namespace eup
