#include "core/measure/date.h"
#include <chrono>
#include <cmath>
#include <fmt/format.h>

namespace eup {
namespace {

std::chrono::sys_days daysOf(const Date& d) {
  return std::chrono::year{d.year} / std::chrono::month{static_cast<unsigned>(d.month)} /
         std::chrono::day{static_cast<unsigned>(d.day)};
}

/// So many digits and nothing else.
std::optional<int> digits(std::string_view text) {
  int out = 0;
  for (const char c : text) {
    if (c < '0' || c > '9') return std::nullopt;
    out = out * 10 + (c - '0');
  }
  return out;
}

constexpr int minutesOfDay = 1440;

} // namespace

std::optional<Date> dateFromText(std::string_view text) {
  if (text.size() != 10 || text[4] != '-' || text[7] != '-') return std::nullopt;
  const auto year = digits(text.substr(0, 4)), month = digits(text.substr(5, 2)), day = digits(text.substr(8, 2));
  if (!year || !month || !day || *year < 1) return std::nullopt;
  const bool is = (std::chrono::year{*year} / std::chrono::month{static_cast<unsigned>(*month)} /
                   std::chrono::day{static_cast<unsigned>(*day)})
                      .ok();
  return is ? std::optional(Date{*year, *month, *day}) : std::nullopt;
}

std::string textOf(const Date& d) {
  return fmt::format("{:04}-{:02}-{:02}", d.year, d.month, d.day);
}

Date daysAfter(const Date& date, long days) {
  const std::chrono::year_month_day at{daysOf(date) + std::chrono::days{days}};
  return {static_cast<int>(at.year()), static_cast<int>(static_cast<unsigned>(at.month())),
          static_cast<int>(static_cast<unsigned>(at.day()))};
}

int weekdayOf(const Date& date) {
  return static_cast<int>(std::chrono::weekday{daysOf(date)}.iso_encoding()) - 1;
}

std::optional<Moment> momentFromText(std::string_view text) {
  if (text.size() != 16 || text[10] != ' ' || text[13] != ':') return std::nullopt;
  const auto day = dateFromText(text.substr(0, 10));
  const auto hour = digits(text.substr(11, 2)), minute = digits(text.substr(14, 2));
  if (!day || !hour || !minute || *hour > 23 || *minute > 59) return std::nullopt;
  return Moment{*day, *hour * 60 + *minute};
}

std::string textOf(const Moment& m) {
  return fmt::format("{} {:02}:{:02}", textOf(m.day), m.minute / 60, m.minute % 60);
}

double minutesBetween(const Moment& from, const Moment& to) {
  return static_cast<double>((daysOf(to.day) - daysOf(from.day)).count() * minutesOfDay + (to.minute - from.minute));
}

Moment after(const Moment& m, double minutes) {
  const long all = m.minute + std::lround(minutes);
  const long days = static_cast<long>(std::floor(static_cast<double>(all) / minutesOfDay));
  return {daysAfter(m.day, days), static_cast<int>(all - days * minutesOfDay)};
}

} // namespace eup
