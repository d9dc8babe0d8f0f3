#include "core/exchange/calendar_file.h"
#include <algorithm>
#include <cmath>
#include <fmt/format.h>
#include <map>

namespace eup {
namespace {

constexpr double day = 1440;

/// Text values: commas, semicolons, backslashes and line ends are escaped (RFC 5545, 3.3.11).
std::string escaped(const std::string& text) {
  std::string out;
  for (const char c : text) {
    if (c == '\\' || c == ',' || c == ';') out += '\\';
    if (c == '\n')
      out += "\\n";
    else if (static_cast<unsigned char>(c) >= ' ')
      out += c;
  }
  return out;
}

/// No line longer than 75 octets, never broken within a letter (3.1).
void writeLine(std::string& to, const std::string& line) {
  std::size_t from = 0, room = 75;
  while (line.size() - from > room) {
    std::size_t end = from + room;
    while (end > from && (static_cast<unsigned char>(line[end]) & 0xC0) == 0x80) --end;
    to += line.substr(from, end - from) + "\r\n ";
    from = end, room = 74;
  }
  to += line.substr(from) + "\r\n";
}

std::string momentOf(double minutes, const Date& first, int hour) {
  const double whole = std::floor(minutes / day + 1e-9);
  long seconds = std::lround((minutes - whole * day) * 60) + hour * 3600L;
  const Date at = daysAfter(first, static_cast<long>(whole) + seconds / 86400);
  seconds %= 86400;
  return fmt::format("{:04}{:02}{:02}T{:02}{:02}{:02}", at.year, at.month, at.day, seconds / 3600, seconds / 60 % 60,
                     seconds % 60);
}

} // namespace

std::vector<Sitting> sittingsOf(const Schedule& s, const std::vector<Activity>& activities, const BenchHours& bench) {
  std::vector<Sitting> out;
  for (std::size_t i = 0; i < s.placed.size(); ++i) {
    const double end = activities[i].attended ? s.placed[i].ready : s.placed[i].to;
    double from = s.placed[i].from;
    while (from < end - 1e-6) {
      const double today = std::floor(from / day + 1e-9),
                   closes =
                       today * day +
                       bench.minutes[static_cast<std::size_t>((bench.firstWeekday + static_cast<long>(today)) % 7)];
      const double to = std::min(end, std::max(closes, from));
      if (to > from + 1e-6) out.push_back({i, from, to});
      from = bench.after(bench.worked(std::max(to, from)) + 1e-7); // the next minute at the bench
      if (from <= to) from = (today + 1) * day;
    }
  }
  std::stable_sort(out.begin(), out.end(), [](const Sitting& a, const Sitting& b) { return a.from < b.from; });
  return out;
}

std::string toCalendar(const std::string& wing, const std::vector<Step>& steps, const std::vector<Sitting>& sittings,
                       const Date& first, int hour) {
  std::string out;
  for (const char* line : {"BEGIN:VCALENDAR", "VERSION:2.0", "PRODID:-//Euptera//bench//EN", "CALSCALE:GREGORIAN"})
    writeLine(out, line);
  std::map<std::size_t, int> times; // that a step was sat at: others that come or go leave its events their names
  for (const Sitting& sitting : sittings) {
    const Step& s = steps[sitting.step];
    writeLine(out, "BEGIN:VEVENT");
    writeLine(out, fmt::format("UID:{}-{}-{}@euptera", escaped(wing), escaped(s.key), ++times[sitting.step]));
    writeLine(out, "DTSTAMP:" + momentOf(0, first, hour) + "Z");
    writeLine(out, "DTSTART:" + momentOf(sitting.from, first, hour));
    writeLine(out, "DTEND:" + momentOf(sitting.to, first, hour));
    writeLine(out, "SUMMARY:" + escaped(fmt::format("{}: {} ({})", wing, s.what, s.on)));
    std::string more;
    for (const auto& [head, text] :
         {std::pair("With ", &s.with), std::pair("Look: ", &s.look), std::pair("", &s.caution)})
      if (!text->empty()) more += (more.empty() ? "" : "\n") + std::string(head) + *text;
    if (s.cureHours > 0) more += fmt::format("{}Cures {:.1f} h", more.empty() ? "" : "\n", s.cureHours);
    if (!more.empty()) writeLine(out, "DESCRIPTION:" + escaped(more));
    writeLine(out, "END:VEVENT");
  }
  writeLine(out, "END:VCALENDAR");
  return out;
}

} // namespace eup
