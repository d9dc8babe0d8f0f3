// Days of the calendar and times of day, as people write them. What day it is now is told from outside.
#pragma once
#include <optional>
#include <string>
#include <string_view>

namespace eup {

struct Date {
  int year = 2026, month = 1, day = 1;
  bool operator==(const Date&) const = default;
};
/// "2026-12-01"; nothing for what is no day.
std::optional<Date> dateFromText(std::string_view text);
std::string textOf(const Date& date);
Date daysAfter(const Date& date, long days);
/// 0 Monday to 6 Sunday.
int weekdayOf(const Date& date);

/// A minute of local time.
struct Moment {
  Date day;
  int minute = 0; ///< of the day, 0 to 1439
  bool operator==(const Moment&) const = default;
};
/// "2026-12-01 18:30"; nothing for what is none.
std::optional<Moment> momentFromText(std::string_view text);
std::string textOf(const Moment& moment);
/// From one to the other, minutes; negative back.
double minutesBetween(const Moment& from, const Moment& to);
/// So many minutes later, rounded to a whole one.
Moment after(const Moment& moment, double minutes);

} // namespace eup
