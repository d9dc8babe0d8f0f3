#include "core/drawing/bench_sheets.h"
#include "core/assembly/part_words.h"
#include "core/bench/progress.h"
#include "core/files/bytes.h"
#include "core/geometry/polyline.h"
#include "core/measure/figure.h"
#include <algorithm>
#include <fmt/format.h>
#include <map>
#include <utility>

namespace eup {
namespace {

constexpr double lineHigh = 4.4; // mm
constexpr std::size_t lettersAcross = 96;

/// Broken between words, so that no line is longer than so many letters.
std::vector<std::string> broken(const std::string& text, std::size_t letters) {
  std::vector<std::string> out;
  std::string line;
  std::size_t from = 0;
  while (from < text.size()) {
    const std::size_t end = std::min(text.find(' ', from), text.size());
    const std::string word = text.substr(from, end - from);
    if (!line.empty() && line.size() + 1 + word.size() > letters) out.push_back(std::exchange(line, {}));
    line += (line.empty() ? "" : " ") + word;
    from = end + 1;
  }
  if (!line.empty()) out.push_back(line);
  return out;
}

void box(Drawing& d, const Point& at, bool ticked) {
  constexpr double side = 3.2;
  d.loop(Layer::text, rectangle(at, at + Point(side, side)));
  if (!ticked) return;
  d.line(Layer::text, at + Point(0.4, 0.4), at + Point(side - 0.4, side - 0.4));
  d.line(Layer::text, at + Point(0.4, side - 0.4), at + Point(side - 0.4, 0.4));
}

Drawing headed(const char* title, const std::string& wing, Hand hand) {
  Drawing d;
  d.title = title, d.wing = wing, d.hand = hand;
  return d;
}

} // namespace

std::vector<Drawing> workSheet(const std::string& wing, Hand hand, const std::vector<Step>& steps,
                               const Records& records, LengthUnit unit) {
  std::vector<Drawing> out;
  std::map<std::string, std::size_t> numbers;
  std::vector<const Step*> mine;
  for (const Step& s : steps)
    if (!s.hand || *s.hand == hand) mine.push_back(&s), numbers[s.key] = mine.size();
  if (mine.empty()) return out;
  Drawing head = headed("Work sheet", wing, hand);
  head.write({0, 0}, fmt::format("{}  {} HAND: the order of work", wing, nameLarge(hand)), 5);
  double under = -6;
  for (const std::string& line : broken(
           "A step waits for those whose numbers stand behind it. Minutes are rough; cures at the decided temperature. "
           "First square: done; second: looked at.",
           lettersAcross))
    head.write({0, under}, line, 2.6), under -= lineHigh - 0.6;
  out.push_back(std::move(head));
  for (const Step* s : mine) {
    Drawing d = headed("Work sheet", wing, hand);
    const StepRecord* r = recordOf(records.steps, s->key);
    box(d, {0, -0.5}, r && !r->done.empty());
    if (!s->look.empty()) box(d, {4.4, -0.5}, r && r->looked);
    std::string waits;
    for (const std::string& need : s->needs)
      if (const auto found = numbers.find(need); found != numbers.end())
        waits += fmt::format("{}{}", waits.empty() ? "  after " : ", ", found->second);
    d.write({9, 0}, fmt::format("{}  {} ({})", numbers[s->key], s->what, s->on), 3);
    double y = -lineHigh;
    const std::string how = fmt::format("{:.0f} min{}{}{}", s->minutes,
                                        s->cureHours > 0 ? fmt::format(", cures {:.1f} h", s->cureHours) : "",
                                        s->with.empty() ? "" : ", " + s->with, waits);
    std::vector<std::string> lines = broken(how, lettersAcross);
    const auto more = [&](const char* begins, const std::string& text) {
      if (text.empty()) return;
      for (std::string& line : broken(begins + text, lettersAcross)) lines.push_back(std::move(line));
    };
    more("Pieces fitted: ", s->goesIn);
    more("", wordsOf(s->glue, unit));
    more("Look: ", s->look);
    more("Caution: ", s->caution);
    for (const std::string& line : lines) d.write({14, y}, line, 2.5), y -= lineHigh - 0.6;
    out.push_back(std::move(d));
  }
  return out;
}

std::vector<Drawing> pieceLabels(const DrawnWing& wing, Hand hand) {
  std::vector<Drawing> out;
  for (const TruePanel& panel : wing)
    for (const Part& part : panel.parts) {
      if (!part.toldWith(hand)) continue; // has its label already
      Drawing d = headed("Labels", panel.design.name, hand);
      constexpr double wide = 62, high = 17;
      d.loop(Layer::cut, rectangle({0, 0}, {wide, high})); // cut apart
      const std::string place = panel.design.of > 1 ? fmt::format(", panel {}", panel.design.id.panel + 1) : "";
      constexpr std::size_t letters = 34;
      d.write({2, high - 5}, firstLetters(part.name, letters), 3.4);
      d.write({2, high - 9.5},
              fmt::format("{}{}, {}", part.shared ? "ONE FOR BOTH" : nameLarge(hand), place,
                          firstLetters(panel.design.name, 24)),
              2.6);
      d.write({2, high - 13.8},
              fmt::format("{} × {}, {}", part.count, sizeOf(part, panel.design.unit, 0),
                          firstLetters(materialOf(part, panel.design.tables), 22)),
              2.4);
      out.push_back(std::move(d));
    }
  return out;
}

std::vector<Drawing> logSheets(const std::string& wing, const Records& records) {
  std::vector<Drawing> out;
  if (records.log.empty()) return out;
  Drawing head = headed("Log", wing, Hand::right);
  head.write({0, 0}, fmt::format("{}: what was done, read and changed", wing), 5);
  out.push_back(std::move(head));
  for (const LogEntry& e : records.log) {
    Drawing d = headed("Log", wing, Hand::right);
    d.write({0, 0}, fmt::format("{}  {}", e.at, logKindChoices[static_cast<std::size_t>(e.kind)].label), 2.5);
    double y = 0;
    for (const std::string& line : broken(e.file.empty() ? e.text : e.text + " [" + e.file + "]", lettersAcross - 12))
      d.write({44, y}, line, 2.5), y -= lineHigh - 0.6;
    out.push_back(std::move(d));
  }
  return out;
}

} // namespace eup
