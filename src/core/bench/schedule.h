// When what is done at the bench: activities that need others first, hands that are few, cures that need none. Minutes
// since the first bench hour of the first day, through nights and all.
#pragma once
#include <array>
#include <optional>
#include <vector>

namespace eup {

struct Activity {
  double hands = 0;       ///< minutes of one pair of hands; may be put down overnight and taken up again
  double cure = 0;        ///< minutes after that before what needs it can begin; goes on through the night
  std::vector<int> needs; ///< indices of what is done, and cured, before
  bool attended = false;  ///< its cure is not to be left alone: it ends within the bench hours of its day, and takes
                          ///< a pair of hands all along (a hot wire, a steam kettle)
  double notBefore = 0;   ///< minutes: it is not taken up sooner
};

/// When there is somebody at the bench.
struct BenchHours {
  std::array<double, 7> minutes{120, 120, 120, 120, 120, 300, 300}; ///< a day, from the weekday of the first; 0 to 1440
  int firstWeekday = 0;                                             ///< index in `minutes` of the first day
  int hands = 1;                                                    ///< pairs of them, 1 or 2
  /// Minutes at the bench from the start to that time.
  double worked(double at) const;
  /// The time when so many minutes at the bench are over; the earliest.
  double after(double worked) const;
  bool any() const;
};

struct Placed {
  double from = 0, to = 0; ///< at work, nights between them not counted off
  double ready = 0;        ///< cured
  double slack = 0;        ///< minutes that it may end later without the whole ending later
};

struct Schedule {
  std::vector<Placed> placed; ///< as the activities
  double end = 0;             ///< when the last is ready
  double bound = 0;           ///< no schedule ends sooner: the longest path, and all hands' minutes over the hands
};

/// Why activities cannot be put in order: one that needs itself, over others or not; or nobody is at the bench.
std::optional<std::vector<int>> circleIn(const std::vector<Activity>& activities);

/// Each as early as hands allow, the one with the longest way to the end behind it first (Kelley and Walker,
/// Critical-Path Planning and Scheduling, 1959); then other orders are tried, always the same ones, and the soonest end
/// is kept. Nothing when there is a circle or no hour at the bench.
std::optional<Schedule> schedule(const std::vector<Activity>& activities, const BenchHours& bench);

} // namespace eup
