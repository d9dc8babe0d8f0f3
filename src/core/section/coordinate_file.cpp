// Reading of coordinate lists (declared in listed_section.h).
#include "core/files/bytes.h"
#include "core/geometry/polyline.h"
#include "core/section/listed_section.h"
#include <algorithm>
#include <charconv>
#include <cmath>
#include <fmt/format.h>

namespace eup {
namespace {

struct ListedPoint {
  Point at;
  int line = 0;
};
using List = std::vector<ListedPoint>;

std::string atLine(int line) {
  return fmt::format("line {}", line);
}

/// Words of a line: separated by blanks, tabs, semicolons, and by commas unless these are decimal commas.
std::vector<std::string> words(std::string_view line) {
  const auto blank = [](char c) { return c == ' ' || c == '\t' || c == ';'; };
  std::vector<std::string> out;
  std::string word;
  for (char c : line) {
    if (!blank(c)) {
      word += c;
      continue;
    }
    if (!word.empty()) out.push_back(std::exchange(word, {}));
  }
  if (!word.empty()) out.push_back(word);
  const auto decimalComma = [](const std::string& w) {
    return std::count(w.begin(), w.end(), ',') == 1 && w.find('.') == std::string::npos && w.front() != ',' &&
           w.back() != ',';
  };
  if (out.size() == 2 && decimalComma(out[0]) && decimalComma(out[1])) {
    for (std::string& w : out) std::replace(w.begin(), w.end(), ',', '.');
    return out;
  }
  std::vector<std::string> split;
  for (const std::string& w : out) {
    std::size_t from = 0;
    while (from <= w.size()) {
      const std::size_t comma = std::min(w.find(',', from), w.size());
      if (comma > from) split.push_back(w.substr(from, comma - from));
      from = comma + 1;
    }
  }
  return split;
}

std::optional<double> number(std::string_view word) {
  if (word.starts_with('+')) word.remove_prefix(1);
  double value = 0;
  const auto [end, error] = std::from_chars(word.data(), word.data() + word.size(), value);
  if (error != std::errc{} || end != word.data() + word.size()) return std::nullopt;
  return value;
}

bool startsComment(std::string_view line) {
  return line.starts_with('#') || line.starts_with('!') || line.starts_with("//") || line.starts_with('%');
}

struct Listing {
  std::string name;
  List points;
};

Result<Listing> takeLines(std::string_view text) {
  Listing listing;
  bool nameTaken = false;
  int lineNo = 0;
  if (text.starts_with("\xef\xbb\xbf")) text.remove_prefix(3);
  for (std::size_t from = 0; from < text.size();) {
    std::size_t end = text.find_first_of("\r\n", from);
    if (end == std::string_view::npos) end = text.size();
    std::string_view line = text.substr(from, end - from);
    from = end + (text.substr(end).starts_with("\r\n") ? 2 : 1);
    ++lineNo;
    while (!line.empty() && (line.front() == ' ' || line.front() == '\t')) line.remove_prefix(1);
    if (startsComment(line)) continue;
    if (const auto hash = line.find('#'); hash != std::string_view::npos) line = line.substr(0, hash);
    const auto parts = words(line);
    if (parts.empty()) continue;
    const auto x = number(parts[0]);
    const auto y = parts.size() > 1 ? number(parts[1]) : std::nullopt;
    if (parts.size() == 2 && x && y) {
      if (!std::isfinite(*x) || !std::isfinite(*y) || std::abs(*x) > 1e6 || std::abs(*y) > 1e6)
        return Problem{atLine(lineNo), "the numbers are not the coordinates of a section"};
      listing.points.push_back({{*x, *y}, lineNo});
      if (listing.points.size() > 2 * mostPoints)
        return Problem{atLine(lineNo), fmt::format("more than {} points", 2 * mostPoints)};
      continue;
    }
    if (listing.points.empty() && !nameTaken) {
      listing.name = firstLetters(line, 80);
      while (!listing.name.empty() && std::isspace(static_cast<unsigned char>(listing.name.back())))
        listing.name.pop_back();
      nameTaken = true;
      continue;
    }
    return Problem{atLine(lineNo), fmt::format("two numbers were expected, found “{}”", firstLetters(line, 40))};
  }
  return listing;
}

bool isCount(double v) {
  return v >= 3 && v <= static_cast<double>(mostPoints) && v == std::floor(v);
}

void dropDoubled(List& list, std::vector<std::string>& mended) {
  List out;
  for (const ListedPoint& p : list) {
    if (!out.empty() && (out.back().at - p.at).norm() < 1e-9) {
      mended.push_back(fmt::format("line {}: the point of line {} again, left out", p.line, out.back().line));
      continue;
    }
    out.push_back(p);
  }
  list = std::move(out);
}

/// Both surfaces from nose to tail, still in the file's own scale.
struct Surfaces {
  List upper, lower;
};

Surfaces fromLoop(List list) {
  const auto xLess = [](const ListedPoint& a, const ListedPoint& b) { return a.at.x() < b.at.x(); };
  const auto [low, high] = std::minmax_element(list.begin(), list.end(), xLess);
  if (high->at.x() - low->at.x() < 1e-9) return {}; // no chord: told by the caller
  const double middle = (low->at.x() + high->at.x()) / 2;
  if (list.front().at.x() < middle) { // starts at the nose: out along one surface and back along the other
    const auto tail = high - list.begin();
    Surfaces s{List(list.begin(), list.begin() + tail + 1), List(list.begin() + tail, list.end())};
    std::reverse(s.lower.begin(), s.lower.end());
    if ((s.lower.front().at - s.upper.front().at).norm() > 1e-9) s.lower.insert(s.lower.begin(), s.upper.front());
    return s;
  }
  // The nose is the listed origin if there is one, else the point farthest from the middle of the tail.
  const Point tail = (list.front().at + list.back().at) / 2;
  auto nose = std::max_element(list.begin(), list.end(), [&](const ListedPoint& a, const ListedPoint& b) {
    return (a.at - tail).squaredNorm() < (b.at - tail).squaredNorm();
  });
  constexpr double beside = 0.03; // of the chord: a cambered nose reaches a little ahead of its origin
  for (auto it = list.begin(); it != list.end(); ++it)
    if (it->at.norm() < 1e-9 && (it->at - nose->at).norm() < beside * (high->at.x() - low->at.x())) nose = it;
  Surfaces s{List(list.begin(), nose + 1), List(nose, list.end())};
  std::reverse(s.upper.begin(), s.upper.end());
  return s;
}

/// Where a second block starts over at the nose; nothing for a loop.
std::optional<std::size_t> secondBlock(const List& list) {
  double low = 1e300, high = -1e300;
  for (const auto& p : list) low = std::min(low, p.at.x()), high = std::max(high, p.at.x());
  if (list.front().at.x() > low + 0.25 * (high - low)) return std::nullopt;
  for (std::size_t i = 1; i < list.size(); ++i)
    if (list[i].at.x() < list[i - 1].at.x() - 0.6 * (high - low)) return i;
  return std::nullopt;
}

Result<Surfaces> splitSurfaces(List list, std::vector<std::string>& mended) {
  std::optional<std::size_t> counted;
  if (list.size() > 1 && isCount(list[0].at.x()) && isCount(list[0].at.y())) {
    const auto n1 = static_cast<std::size_t>(list[0].at.x()), n2 = static_cast<std::size_t>(list[0].at.y());
    const int line = list[0].line;
    list.erase(list.begin());
    if (n1 + n2 != list.size())
      return Problem{atLine(line), fmt::format("{} + {} points are announced, {} are listed", n1, n2, list.size())};
    counted = n1;
  }
  if (!counted) counted = secondBlock(list);
  Surfaces s;
  if (counted) {
    const auto cut = list.begin() + static_cast<std::ptrdiff_t>(*counted);
    s = {List(list.begin(), cut), List(cut, list.end())};
    dropDoubled(s.upper, mended);
    dropDoubled(s.lower, mended);
    if ((s.upper.front().at - s.lower.front().at).norm() > 1e-9) {
      List& late = s.upper.front().at.x() > s.lower.front().at.x() ? s.upper : s.lower;
      const List& early = &late == &s.upper ? s.lower : s.upper;
      mended.push_back(fmt::format("line {}: the surface starts behind the nose; it begins at the point of line {}",
                                   late.front().line, early.front().line));
      late.insert(late.begin(), early.front());
    }
  } else {
    dropDoubled(list, mended);
    s = fromLoop(std::move(list));
    if (s.upper.empty()) return Problem{"", "all points stand at one place along the chord: it has no length"};
  }
  if (s.upper.size() < 2 || s.lower.size() < 2) return Problem{"", "one of the surfaces has no points"};
  return s;
}

double meanHeight(const List& surface) {
  double area = 0;
  for (std::size_t i = 1; i < surface.size(); ++i)
    area += (surface[i].at.x() - surface[i - 1].at.x()) * (surface[i].at.y() + surface[i - 1].at.y()) / 2;
  return area;
}

/// A surface that stops short of the tail is carried to the end of the other one.
void completeTail(Surfaces& s, std::vector<std::string>& mended) {
  List& shorter = s.upper.back().at.x() < s.lower.back().at.x() ? s.upper : s.lower;
  const List& longer = &shorter == &s.upper ? s.lower : s.upper;
  const double chord = longer.back().at.x() - longer.front().at.x();
  if (longer.back().at.x() - shorter.back().at.x() < 0.002 * chord) return;
  mended.push_back(
      fmt::format("line {}: the surface stops short of the trailing edge; it is carried to the point of line {}",
                  shorter.back().line, longer.back().line));
  shorter.push_back(longer.back());
}

/// Scale (and, where the nose is not listed as (0,0), shift and turn) so that the chord runs from (0,0) to x = 1.
Result<Done> normalise(Surfaces& s, std::vector<std::string>& mended) {
  const Point nose = s.upper.front().at;
  const Point tail = (s.upper.back().at + s.lower.back().at) / 2;
  const Point run = tail - nose;
  if (run.norm() < 1e-9 || run.x() <= 0) return Problem{"", "the chord has no length"};
  const bool asListed = nose.norm() < 1e-9;
  const double turn = asListed ? 0 : -std::atan2(run.y(), run.x());
  const double scale = 1 / (asListed ? run.x() : run.norm());
  if (!asListed && (nose.norm() > 1e-3 * run.norm() || std::abs(turn) > 1e-3))
    mended.push_back("the nose is not at (0, 0): shifted and turned so that the chord line is level");
  for (List* list : {&s.upper, &s.lower})
    for (ListedPoint& p : *list) p.at = Placement{turn, {0, 0}}((p.at - nose) * scale);
  return Done{};
}

/// A point that lies far from both its neighbours, while they lie close to each other.
Result<Done> refuseSpikes(const List& listed) {
  constexpr double far = 0.2, spike = 5; // of the whole; times the distance of its neighbours
  Box all;
  for (const auto& p : listed) all.include(p.at);
  const double whole = std::max(all.width(), all.height());
  for (std::size_t i = 1; i + 1 < listed.size(); ++i) {
    const double out = std::min((listed[i].at - listed[i - 1].at).norm(), (listed[i + 1].at - listed[i].at).norm());
    if (out > far * whole && out > spike * (listed[i + 1].at - listed[i - 1].at).norm())
      return Problem{atLine(listed[i].line),
                     "this point lies far from the ones before and after it: is a digit wrong?"};
  }
  return Done{};
}

/// A surface's last point that lies far from the one before it, which lies close to its own neighbour.
Result<Done> refuseFarTails(const Surfaces& s) {
  constexpr double far = 0.5, spike = 5; // of the whole surface; times the step before it
  for (const List* list : {&s.upper, &s.lower}) {
    if (list->size() < 3) continue;
    const Point &last = list->back().at, &next = (*list)[list->size() - 2].at, &after = (*list)[list->size() - 3].at;
    const double out = (last - next).norm(), whole = (last - list->front().at).norm();
    if (out > far * whole && out > spike * (next - after).norm())
      return Problem{atLine(list->back().line), "this point lies far from the one beside it: is a digit wrong?"};
  }
  return Done{};
}

/// A digit in the wrong place makes a list that is a section in form only: what no section is, is told by its line.
Result<Done> refuseTypos(const Surfaces& s) {
  List loop(s.upper.rbegin(), s.upper.rend());
  loop.insert(loop.end(), s.lower.begin() + 1, s.lower.end());
  constexpr double thickest = 0.6, least = 0.002; // of the chord, of its square
  Polyline points;
  for (const auto& p : loop) points.push_back(p.at);
  const auto high = std::max_element(
      loop.begin(), loop.end(), [](const auto& a, const auto& b) { return std::abs(a.at.y()) < std::abs(b.at.y()); });
  const Box box = boundsOf(points);
  if (box.height() > thickest)
    return Problem{atLine(high->line),
                   fmt::format("with this point the section is {:.0f} % thick: is a digit wrong?", 100 * box.height())};
  if (std::abs(signedArea(points)) < least)
    return Problem{atLine(high->line), "the outline encloses hardly anything: is a digit wrong in it?"};
  return Done{};
}

Result<Done> refuseCrossing(const Surfaces& s) {
  List loop(s.upper.rbegin(), s.upper.rend());
  loop.insert(loop.end(), s.lower.begin() + 1, s.lower.end());
  Polyline points;
  for (const auto& p : loop) points.push_back(p.at);
  if (const auto cross = selfCrossing(points))
    return Problem{atLine(loop[cross->second].line),
                   fmt::format("the curve crosses itself (it meets the piece after line {})", loop[cross->first].line)};
  for (const List* list : {&s.upper, &s.lower})
    for (std::size_t i = 1; i + 1 < list->size(); ++i)
      if ((*list)[i].at.x() > 0 && (*list)[i + 1].at.x() < (*list)[i].at.x() - 1e-6 && (*list)[i].at.x() > 0.02)
        return Problem{atLine((*list)[i + 1].line), "the surface runs back towards the nose"};
  return Done{};
}

} // namespace

std::string coordinatesText(const Section& section, CoordinateLayout layout) {
  const Polyline upper = simplified(section.upper, 0), lower = simplified(section.lower, 0);
  std::string out = section.name + "\n";
  const auto line = [&](const Point& p) { out += fmt::format("{:10.6f} {:10.6f}\n", p.x(), p.y()); };
  if (layout == CoordinateLayout::loop) {
    std::for_each(upper.rbegin(), upper.rend(), line);
    std::for_each(lower.begin() + 1, lower.end(), line);
    return out;
  }
  out += fmt::format("{:10}. {:10}.\n\n", upper.size(), lower.size());
  std::for_each(upper.begin(), upper.end(), line);
  out += "\n";
  std::for_each(lower.begin(), lower.end(), line);
  return out;
}

Result<ReadSection> readCoordinates(std::string_view bytes, std::string_view fallbackName) {
  const std::string text = asUtf8(bytes);
  auto taken = takeLines(text);
  if (!taken) return taken.problem();
  if (taken.value().points.size() < 5)
    return Problem{"", fmt::format("{} points are listed; a section needs at least 5", taken.value().points.size())};
  if (auto done = refuseSpikes(taken.value().points); !done) return done.problem();
  ReadSection read;
  auto split = splitSurfaces(std::move(taken.value().points), read.mended);
  if (!split) return split.problem();
  Surfaces& s = split.value();
  if (auto done = refuseFarTails(s); !done) return done.problem();
  completeTail(s, read.mended);
  if (auto done = normalise(s, read.mended); !done) return done.problem();
  if (meanHeight(s.upper) < meanHeight(s.lower)) {
    std::swap(s.upper, s.lower);
    read.mended.push_back("the list starts with the lower surface: taken the other way round");
  }
  if (auto done = refuseTypos(s); !done) return done.problem();
  if (auto done = refuseCrossing(s); !done) return done.problem();
  ListedSection& section = read.section;
  section.name = taken.value().name.empty() ? std::string(fallbackName) : taken.value().name;
  for (const auto& p : s.upper) section.upper.push_back(p.at);
  for (const auto& p : s.lower) section.lower.push_back(p.at);
  section.upper.front() = section.lower.front() = Point(0, 0);
  auto checked = checkedListing(section);
  if (!checked) return checked.problem();
  return read;
}

} // namespace eup
