#include "core/bench/schedule.h"
#include <algorithm>
#include <cmath>
#include <numeric>
#include <random>

namespace eup {
namespace {

constexpr double day = 1440;

/// What comes after each.
std::vector<std::vector<int>> followersOf(const std::vector<Activity>& all) {
  std::vector<std::vector<int>> out(all.size());
  for (std::size_t i = 0; i < all.size(); ++i)
    for (const int need : all[i].needs) out[static_cast<std::size_t>(need)].push_back(static_cast<int>(i));
  return out;
}

/// In an order in which nothing stands before what it needs; shorter when there is a circle.
std::vector<int> inOrder(const std::vector<Activity>& all) {
  std::vector<int> waits(all.size()), out;
  for (std::size_t i = 0; i < all.size(); ++i) waits[i] = static_cast<int>(all[i].needs.size());
  const auto followers = followersOf(all);
  for (std::size_t i = 0; i < all.size(); ++i)
    if (waits[i] == 0) out.push_back(static_cast<int>(i));
  for (std::size_t k = 0; k < out.size(); ++k)
    for (const int next : followers[static_cast<std::size_t>(out[k])])
      if (--waits[static_cast<std::size_t>(next)] == 0) out.push_back(next);
  return out;
}

/// When the bench is open for the minute after so many: at the end of a day's hours that is the next day's first.
double opensAfter(const BenchHours& bench, double worked) {
  constexpr double hair = 1e-6;
  return bench.after(worked + hair) - hair;
}

/// One activity from a time on: when it ends and is ready. One that is attended begins where its day has room for it.
Placed placeFrom(const Activity& a, double from, const BenchHours& bench) {
  Placed p;
  double began = bench.worked(from);
  if (a.attended) {
    const double whole = a.hands + a.cure;
    for (int tries = 0; tries < 3660; ++tries) { // ten years of days too short for it: then as it comes
      const double start = bench.after(began), end = bench.after(began + whole);
      if (std::floor(start / day) == std::floor((end - 1e-9) / day)) break;
      const double next = (std::floor(start / day) + 1) * day;
      began = std::max(bench.worked(next), began + 1e-9);
    }
    p.from = std::max(from, opensAfter(bench, began)), p.to = bench.after(began + a.hands);
    p.ready = bench.after(began + whole);
    return p;
  }
  p.from = a.hands > 0 ? std::max(from, opensAfter(bench, began)) : from;
  p.to = a.hands > 0 ? bench.after(began + a.hands) : from;
  p.ready = p.to + a.cure;
  return p;
}

/// Hands take what is ready and stands first in the order; the one that is free first takes it.
Schedule listed(const std::vector<Activity>& all, const BenchHours& bench, const std::vector<double>& rank) {
  Schedule out;
  out.placed.resize(all.size());
  std::vector<char> done(all.size(), 0);
  std::vector<double> free(static_cast<std::size_t>(bench.hands), 0.0);
  const auto readyAt = [&](std::size_t i) -> std::optional<double> {
    double at = all[i].notBefore;
    for (const int need : all[i].needs) {
      if (!done[static_cast<std::size_t>(need)]) return std::nullopt;
      at = std::max(at, out.placed[static_cast<std::size_t>(need)].ready);
    }
    return at;
  };
  for (std::size_t placed = 0; placed < all.size(); ++placed) {
    const auto hand = std::min_element(free.begin(), free.end());
    // What can begin soonest; of those that can begin when a hand is free, the first in order.
    std::optional<std::size_t> next;
    double begins = 0;
    for (std::size_t i = 0; i < all.size(); ++i) {
      if (done[i]) continue;
      const auto ready = readyAt(i);
      if (!ready) continue;
      const double at =
          all[i].hands > 0 || all[i].attended ? bench.worked(std::max(*ready, *hand)) : bench.worked(*ready);
      if (!next || at < begins - 1e-9 || (at < begins + 1e-9 && rank[i] > rank[*next])) next = i, begins = at;
    }
    const Activity& a = all[*next];
    const bool takesHand = a.hands > 0 || a.attended;
    Placed& p = out.placed[*next];
    p = placeFrom(a, takesHand ? std::max(*readyAt(*next), *hand) : *readyAt(*next), bench);
    if (takesHand) *hand = a.attended ? p.ready : p.to;
    done[*next] = 1;
    out.end = std::max(out.end, p.ready);
  }
  return out;
}

/// Minutes from each one's beginning to the end of all, as if there were hands for everything, day and night.
std::vector<double> tailsOf(const std::vector<Activity>& all, const std::vector<int>& order) {
  const auto followers = followersOf(all);
  std::vector<double> out(all.size(), 0);
  for (auto it = order.rbegin(); it != order.rend(); ++it) {
    const auto i = static_cast<std::size_t>(*it);
    for (const int next : followers[i]) out[i] = std::max(out[i], out[static_cast<std::size_t>(next)]);
    out[i] += all[i].hands + all[i].cure;
  }
  return out;
}

double boundOf(const std::vector<Activity>& all, const std::vector<int>& order, const BenchHours& bench) {
  double hands = 0, longest = 0, first = -1;
  std::vector<double> ready(all.size(), 0);
  for (const int k : order) {
    const auto i = static_cast<std::size_t>(k);
    double from = all[i].notBefore;
    for (const int need : all[i].needs) from = std::max(from, ready[static_cast<std::size_t>(need)]);
    ready[i] = placeFrom(all[i], from, bench).ready;
    longest = std::max(longest, ready[i]);
    const double work = all[i].hands + (all[i].attended ? all[i].cure : 0);
    if (work > 0) first = first < 0 ? all[i].notBefore : std::min(first, all[i].notBefore);
    hands += work;
  }
  return std::max(longest, hands > 0 ? bench.after(bench.worked(first) + hands / bench.hands) : 0.0);
}

void addSlack(Schedule& s, const std::vector<Activity>& all, const std::vector<int>& order) {
  const auto followers = followersOf(all);
  for (auto it = order.rbegin(); it != order.rend(); ++it) {
    const auto i = static_cast<std::size_t>(*it);
    double slack = s.end - s.placed[i].ready;
    for (const int next : followers[i]) {
      const Placed& after = s.placed[static_cast<std::size_t>(next)];
      slack = std::min(slack, after.from - s.placed[i].ready + after.slack);
    }
    s.placed[i].slack = std::max(slack, 0.0);
  }
}

} // namespace

bool BenchHours::any() const {
  return std::any_of(minutes.begin(), minutes.end(), [](double m) { return m > 0; });
}

double BenchHours::worked(double at) const {
  if (at <= 0) return 0;
  const auto whole = static_cast<long>(std::floor(at / day));
  const double week = std::accumulate(minutes.begin(), minutes.end(), 0.0);
  const long weeks = whole / 7;
  double sum = week * static_cast<double>(weeks);
  for (long d = whole - whole % 7; d < whole; ++d) sum += minutes[static_cast<std::size_t>((firstWeekday + d) % 7)];
  return sum +
         std::min(at - static_cast<double>(whole) * day, minutes[static_cast<std::size_t>((firstWeekday + whole) % 7)]);
}

double BenchHours::after(double work) const {
  const double week = std::accumulate(minutes.begin(), minutes.end(), 0.0);
  if (work <= 0 || week <= 0) return 0;
  const double weeks = std::max(std::ceil(work / week - 1e-12) - 1, 0.0);
  double left = work - weeks * week, at = weeks * 7 * day;
  for (int d = 0; d < 8; ++d, at += day) {
    const double here = minutes[static_cast<std::size_t>((firstWeekday + d) % 7)];
    if (left <= here + 1e-9) return at + left;
    left -= here;
  }
  return at;
}

std::optional<std::vector<int>> circleIn(const std::vector<Activity>& all) {
  const std::vector<int> order = inOrder(all);
  if (order.size() == all.size()) return std::nullopt;
  std::vector<char> fine(all.size(), 0);
  for (const int i : order) fine[static_cast<std::size_t>(i)] = 1;
  std::vector<int> out;
  for (std::size_t i = 0; i < all.size(); ++i)
    if (!fine[i]) out.push_back(static_cast<int>(i));
  return out;
}

std::optional<Schedule> schedule(const std::vector<Activity>& all, const BenchHours& bench) {
  const std::vector<int> order = inOrder(all);
  if (order.size() != all.size() || !bench.any() || bench.hands < 1) return std::nullopt;
  const std::vector<double> tails = tailsOf(all, order);
  const double bound = boundOf(all, order, bench);
  Schedule best = listed(all, bench, tails);
  std::mt19937 chance(1);
  const int tries =
      static_cast<int>(std::clamp<std::size_t>(40000 / std::max<std::size_t>(all.size() * all.size(), 1), 4, 400));
  for (int i = 0; i < tries && best.end > bound + 1e-6; ++i) {
    std::vector<double> rank = tails;
    for (double& r : rank) r *= std::uniform_real_distribution<double>(0.4, 1.6)(chance);
    Schedule one = listed(all, bench, rank);
    if (one.end < best.end - 1e-9) best = std::move(one);
  }
  best.bound = bound;
  addSlack(best, all, order);
  return best;
}

} // namespace eup
