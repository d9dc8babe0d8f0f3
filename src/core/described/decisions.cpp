#include "core/described/decisions.h"
#include "core/described/describe.h"
#include "core/described/rib_place.h"
#include "core/design/panel_brief.h"
#include "core/design/panel_rules.h"
#include "core/design/tables.h"
#include "core/files/bytes.h"
#include "core/measure/date.h"
#include "core/measure/length_text.h"
#include "core/section/naca.h"
#include <algorithm>
#include <cmath>
#include <fmt/format.h>

namespace eup {
namespace {

std::string stationsText(const std::vector<double>& stations, LengthUnit unit) {
  std::string out;
  for (double s : stations) out += (out.empty() ? "" : "; ") + formatLength(s, unit);
  return out;
}

std::string outlineText(const Polyline& line, LengthUnit unit) {
  std::string out;
  for (const Point& p : line)
    out += fmt::format("{}{} : {}", out.empty() ? "" : "; ", formatLength(p.x(), unit), formatLength(p.y(), unit));
  return out;
}

std::string numbersText(const std::vector<int>& numbers) {
  std::string out;
  for (int n : numbers) out += (out.empty() ? "" : "; ") + std::to_string(n);
  return out;
}

/// Keeps the path and the heading while the description is walked.
class Walker : public Visitor {
public:
  using Visitor::group;
  /// A group without a topic of its own is of the one around it.
  void group(const char* key, Topic topic, int number, Inside inside) override {
    const auto before = std::tuple(path, subject);
    if (*key) path += (path.empty() ? "" : ".") + std::string(key);
    if (topic != Topic::none) subject = {topic, number};
    inside();
    std::tie(path, subject) = before;
  }
  void items(const char* key, Topic topic, ListRef all, int, bool, Each each) override {
    for (std::size_t i = 0; i < all.size(); ++i)
      group(fmt::format("{}.{}", key, i).c_str(), topic, static_cast<int>(i), [&] { each(i); });
  }
  // Kept in the file, but not typed as a field.
  void hidden(const char*, Inside) override {}
  void freeText(const char*, std::string&) override {}
  void lasting(const char*, int&) override {}
  void points(const char*, Polyline&, std::size_t) override {}
  void bytes(const char*, EmbeddedCopy&) override {}

protected:
  std::string full(const char* key) const { return path.empty() ? key : path + "." + key; }
  std::string path;
  Subject subject;
};

class Lister : public Walker {
public:
  using Visitor::group;
  explicit Lister(LengthUnit documentUnit) : unit(documentUnit) {}
  std::vector<Decision> all;

  void extra(const char* words, const char* on, const char* off, bool in) override {
    all.back().extra = Extra{words, on, off, in};
  }
  void length(const char* key, const char* label, double& v, Limits l, bool applies = true) override {
    add(key, label, DecisionKind::length, applies, v, formatLength(v, unit, 3), unit == LengthUnit::mm ? "mm" : "")
        .limits = l;
  }
  void along(const char* key, const char* label, double& v, Limits l, bool applies = true) override {
    length(key, label, v, l, applies);
    all.back().along = standsOn;
  }
  void angle(const char* key, const char* label, double& v, Limits l, bool applies = true) override {
    add(key, label, DecisionKind::angle, applies, v, formatNumber(v, 3), "°").limits = l;
  }
  void fraction(const char* key, const char* label, double& v, Limits l, bool applies = true) override {
    add(key, label, DecisionKind::percent, applies, v, formatNumber(v * 100, 2), "% chord").limits = l;
  }
  void number(const char* key, const char* label, double& v, Limits l, bool applies = true) override {
    add(key, label, DecisionKind::number, applies, v, formatNumber(v, 3), "").limits = l;
  }
  void mass(const char* key, const char* label, double& v, Limits l, bool applies = true) override {
    add(key, label, DecisionKind::mass, applies, v, formatNumber(v, 2), "g").limits = l;
  }
  void count(const char* key, const char* label, int& v, Limits l, bool applies = true) override {
    add(key, label, DecisionKind::count, applies, v, std::to_string(v), "").limits = l;
  }
  void flag(const char* key, const char* label, bool& v, bool applies = true) override {
    add(key, label, DecisionKind::flag, applies, v, v ? "yes" : "no", "");
  }
  void text(const char* key, const char* label, std::string& v, bool applies = true) override {
    add(key, label, DecisionKind::text, applies, 0, v, "");
  }
  void chosen(const char* key, const char* label, std::size_t& v, std::span<const Choice> names,
              bool applies) override {
    Decision& d = add(key, label, DecisionKind::choice, applies, static_cast<double>(v), "", "");
    for (const Choice& c : names) d.choices.emplace_back(c.key, c.label);
    d.text = d.choices[v].second;
  }
  void know(const Tables& own) override {
    for (const Shelf shelf : shelves) onShelves[static_cast<std::size_t>(shelf)] = own.namesOn(shelf);
  }
  void listed(const char* key, const char* label, std::string& v, Shelf shelf, bool applies = true) override {
    Decision& d = add(key, label, DecisionKind::choice, applies, 0, v, "");
    d.shelf = shelf;
    for (const Tables::Name& m : onShelves[static_cast<std::size_t>(shelf)]) {
      if (m.key == v) d.text = m.label, d.value = static_cast<double>(d.choices.size());
      d.choices.emplace_back(m.key, m.label);
    }
  }
  void digits(const char* key, const char* label, std::string& v, bool applies) override {
    text(key, label, v, applies);
  }
  void day(const char* key, const char* label, std::string& v) override { text(key, label, v); }
  void stations(const char* key, const char* label, std::vector<double>& v, bool applies) override {
    add(key, label, DecisionKind::stations, applies, 0, stationsText(v, unit), "");
  }
  void numbers(const char* key, const char* label, std::vector<int>& v, bool applies = true) override {
    add(key, label, DecisionKind::numbers, applies, 0, numbersText(v), "");
  }
  void outline(const char* key, const char* label, Polyline& v, bool applies) override {
    add(key, label, DecisionKind::outline, applies, 0, outlineText(v, unit), "");
  }
  void shares(const char* key, const char* label, std::vector<double>& v, bool applies) override {
    std::string text;
    for (double x : v) text += (text.empty() ? "" : "; ") + formatNumber(x, 4);
    add(key, label, DecisionKind::shares, applies, 0, text, "");
  }
  void dihedral(const char* key, Dihedral& v, double span, bool applies) override {
    double rise = riseOf(v, span), deg = dihedralDeg(v, span), above = span * std::cos(degToRad(deg));
    group(key, Topic::none, [&] {
      length("rise", "Rise of the tip", rise, Limits{-0.8 * span, 0.8 * span}, applies);
      all.back().follows = v.by != DihedralBy::rise;
      angle("angle", "To the horizontal", deg, Limits{-50, 50}, applies);
      all.back().follows = v.by != DihedralBy::angle;
      length("projected", "Span from above", above, Limits{0.6 * span, span}, applies);
      all.back().follows = v.by != DihedralBy::projected;
    });
  }

private:
  Decision& add(const char* key, const char* label, DecisionKind kind, bool applies, double value, std::string shown,
                std::string behind) {
    all.push_back({full(key),
                   label,
                   subject,
                   kind,
                   stageOf(subject.topic),
                   applies,
                   false,
                   {},
                   value,
                   std::move(shown),
                   std::move(behind)});
    return all.back();
  }
  LengthUnit unit;
  std::array<std::vector<Tables::Name>, shelves.size()> onShelves; ///< by `Shelf`
};

/// Sets the one decision whose path it is given, from text or from a number.
class Setter : public Walker {
public:
  using Visitor::group;
  Setter(std::string_view wanted, LengthUnit documentUnit) : target(wanted), unit(documentUnit) {}
  std::optional<std::string> typed;
  double value = 0;
  bool found = false;
  std::optional<Problem> problem;

  void length(const char* key, const char* label, double& v, Limits l, bool = true) override {
    if (mine(key))
      set(
          v, label, l, [&](std::string_view t) { return parseLength(t, unit); },
          [&](double x) { return told(x, Quantity::length, unit); });
  }
  void angle(const char* key, const char* label, double& v, Limits l, bool = true) override {
    if (mine(key)) set(v, label, l, parseNumber, [](double x) { return formatNumber(x, 2) + "°"; });
  }
  void fraction(const char* key, const char* label, double& v, Limits l, bool = true) override {
    const auto percent = [](std::string_view t) -> Result<double> {
      auto n = parseNumber(t);
      if (!n) return n;
      return n.value() / 100;
    };
    if (mine(key)) set(v, label, l, percent, [](double x) { return formatNumber(x * 100, 1) + " % chord"; });
  }
  void number(const char* key, const char* label, double& v, Limits l, bool = true) override {
    if (mine(key)) set(v, label, l, parseNumber, [](double x) { return formatNumber(x, 2); });
  }
  void mass(const char* key, const char* label, double& v, Limits l, bool = true) override {
    if (mine(key)) set(v, label, l, parseMass, [](double x) { return formatNumber(x, 1) + " g"; });
  }
  void count(const char* key, const char* label, int& v, Limits l, bool = true) override {
    if (!mine(key)) return;
    double n = v;
    set(n, label, l, parseNumber, [](double x) { return formatNumber(x, 0); });
    if (n != std::floor(n)) {
      if (typed)
        problem = Problem{label, fmt::format("“{}” is not a whole number.", *typed)};
      else
        n = std::round(n);
    }
    if (!problem) v = static_cast<int>(n);
  }
  void flag(const char* key, const char* label, bool& v, bool = true) override {
    if (!mine(key)) return;
    if (!typed) {
      v = value != 0;
    } else if (*typed == "yes" || *typed == "true" || *typed == "1") {
      v = true;
    } else if (*typed == "no" || *typed == "false" || *typed == "0") {
      v = false;
    } else {
      problem = Problem{label, fmt::format("“{}”: answer yes or no.", firstLetters(*typed, 40))};
    }
  }
  void text(const char* key, const char* label, std::string& v, bool = true) override {
    if (!mine(key)) return;
    if (!typed || typed->find_first_not_of(' ') == std::string::npos)
      problem = Problem{label, "A name is needed."};
    else if (firstLetters(*typed, mostNameLetters) != *typed)
      problem = Problem{label, fmt::format("The name is longer than {} letters.", mostNameLetters)};
    else
      v = *typed;
  }
  void chosen(const char* key, const char* label, std::size_t& v, std::span<const Choice> names, bool) override {
    if (!mine(key)) return;
    for (std::size_t i = 0; i < names.size(); ++i)
      if (typed ? (*typed == names[i].key || *typed == names[i].label) : static_cast<std::size_t>(value) == i) {
        v = i;
        return;
      }
    problem = Problem{label, fmt::format("“{}” is not one of the choices.",
                                         typed ? firstLetters(*typed, 40) : formatNumber(value, 0))};
  }
  void know(const Tables& rows) override { own = &rows; }
  void listed(const char* key, const char* label, std::string& v, Shelf shelf, bool = true) override {
    if (!mine(key)) return;
    for (const Tables::Name& m : own->namesOn(shelf))
      if (typed && (m.key == *typed || m.label == *typed)) {
        v = m.key;
        return;
      }
    problem = Problem{
        label, fmt::format("“{}” is not in the table of {}.", typed ? firstLetters(*typed, 40) : "", wordsOf(shelf))};
  }
  void day(const char* key, const char* label, std::string& v) override {
    if (!mine(key)) return;
    std::string day = typed.value_or("");
    day.erase(0, std::min(day.find_first_not_of(' '), day.size()));
    day.erase(day.find_last_not_of(' ') + 1);
    if (!day.empty() && !dateFromText(day))
      problem = Problem{label, fmt::format("“{}” is no day of the calendar: write year, month and day as 2026-12-05.",
                                           firstLetters(day, 40))};
    else
      v = day;
  }
  void digits(const char* key, const char* label, std::string& v, bool) override {
    if (!mine(key)) return;
    const auto naca = readNaca(typed.value_or(""));
    if (naca)
      v = naca.value().digits;
    else
      problem = Problem{label, naca.problem().cause};
  }
  void stations(const char* key, const char* label, std::vector<double>& v, bool) override {
    if (!mine(key)) return;
    std::vector<double> all;
    for (const std::string& one : partsOf(typed.value_or(""))) {
      if (one.find_first_not_of(' ') == std::string::npos && !all.empty()) continue;
      const auto mm = parseLength(one, unit);
      if (!mm) {
        problem = Problem{label, mm.problem().cause + " Separate them by semicolons."};
        return;
      }
      all.push_back(mm.value());
    }
    if (all.size() > static_cast<std::size_t>(mostRibs))
      problem = Problem{label, fmt::format("{} lengths are listed; there can be {}.", all.size(), mostRibs)};
    else
      v = all;
  }
  void outline(const char* key, const char* label, Polyline& v, bool) override {
    if (!mine(key)) return;
    Polyline all;
    for (const std::string& one : partsOf(typed.value_or(""))) {
      if (one.find_first_not_of(' ') == std::string::npos) continue;
      const std::size_t colon = one.find(':');
      if (colon == std::string::npos) {
        problem = Problem{label, fmt::format("“{}”: write how far aft of the tip rib's nose, a colon, and how far out "
                                             "of the rib, as in 30 : 45; separate places by semicolons.",
                                             firstLetters(one, 40))};
        return;
      }
      const auto aft = parseLength(one.substr(0, colon), unit), out = parseLength(one.substr(colon + 1), unit);
      if (!aft || !out) {
        problem = Problem{label, (aft ? out : aft).problem().cause};
        return;
      }
      all.emplace_back(aft.value(), out.value());
    }
    if (const auto cause = wrongOutline(all))
      problem = Problem{label, *cause + "."};
    else
      v = all;
  }
  void shares(const char* key, const char* label, std::vector<double>& v, bool) override {
    if (!mine(key)) return;
    std::vector<double> all;
    for (const std::string& one : partsOf(typed.value_or(""))) {
      if (one.find_first_not_of(' ') == std::string::npos) continue;
      const auto n = parseNumber(one);
      if (!n || n.value() < 0 || n.value() > mostShare) {
        problem = Problem{label, fmt::format("“{}” is no share of lift: write numbers from 0 up, root first, as in "
                                             "1; 1; 0.9; 0.6.",
                                             firstLetters(one, 40))};
        return;
      }
      all.push_back(n.value());
    }
    if (const auto cause = wrongShares(all)) {
      problem = Problem{label, *cause};
      return;
    }
    v = all;
  }
  /// Whole numbers from 1; an empty field is an empty list.
  void numbers(const char* key, const char* label, std::vector<int>& v, bool = true) override {
    if (!mine(key)) return;
    std::vector<int> all;
    for (const std::string& one : partsOf(typed.value_or(""))) {
      if (one.find_first_not_of(' ') == std::string::npos) continue;
      const auto n = parseNumber(one);
      if (!n || n.value() != std::floor(n.value()) || n.value() < 1 || n.value() > mostRibs) {
        problem = Problem{label, fmt::format("“{}” is no rib: write their numbers, the root rib is 1, as in 2; 5.",
                                             firstLetters(one, 40))};
        return;
      }
      all.push_back(static_cast<int>(n.value()));
    }
    std::sort(all.begin(), all.end());
    all.erase(std::unique(all.begin(), all.end()), all.end());
    v = all;
  }
  void dihedral(const char* key, Dihedral& v, double span, bool) override {
    group(key, Topic::none, [&] {
      double rise = riseOf(v, span), deg = dihedralDeg(v, span);
      const bool was = found;
      length("rise", "Rise of the tip", rise, Limits{-0.8 * span, 0.8 * span});
      if (found && !was && !problem) v = {DihedralBy::rise, rise};
      const bool riseFound = found;
      angle("angle", "To the horizontal", deg, Limits{-50, 50});
      if (found && !riseFound && !problem) v = {DihedralBy::angle, deg};
      const bool angleFound = found;
      double above = span * std::cos(degToRad(deg));
      length("projected", "Span from above", above, Limits{0.6 * span, span});
      if (found && !angleFound && !problem) v = {DihedralBy::projected, above};
    });
  }

private:
  static std::vector<std::string> partsOf(const std::string& list) {
    std::vector<std::string> out;
    for (std::size_t from = 0; from <= list.size();) {
      const std::size_t end = std::min(list.find(';', from), list.size());
      out.push_back(list.substr(from, end - from));
      from = end + 1;
    }
    return out;
  }
  bool mine(const char* key) {
    if (full(key) != target) return false;
    found = true;
    return true;
  }

  template <class Parse, class Tell> void set(double& v, const char* label, Limits l, Parse parse, Tell tell) {
    if (!typed) {
      v = std::clamp(value, l.low, l.high);
      if (l.tooLittle(v)) v = l.orFrom;
      return;
    }
    const Result<double> read = parse(*typed);
    if (!read) {
      problem = Problem{label, read.problem().cause};
      return;
    }
    if (read.value() < l.low - 1e-9 || read.value() > l.high + 1e-9) {
      problem = Problem{label, fmt::format("“{}” is {}; it can be {} to {}.", firstLetters(*typed, 40),
                                           tell(read.value()), tell(l.low), tell(l.high))};
      return;
    }
    if (l.tooLittle(read.value())) {
      problem = Problem{label, fmt::format("“{}” is {}; it can be 0 for none, or {} to {}.", firstLetters(*typed, 40),
                                           tell(read.value()), tell(l.orFrom), tell(l.high))};
      return;
    }
    v = read.value();
  }

  std::string target;
  LengthUnit unit;
  const Tables* own = nullptr;
};

Result<Design> decideWith(const Design& design, std::string_view path, std::optional<std::string> typed, double value) {
  Design changed = design;
  Setter setter(path, design.unit);
  setter.typed = std::move(typed);
  setter.value = value;
  describe(changed, setter);
  if (!setter.found) return Problem{std::string(path), "there is no such decision"};
  if (setter.problem) return *setter.problem;
  // Own stations start from the ribs as they stand, so that one of them can be moved.
  for (std::size_t w = 0; w < changed.wings.size(); ++w)
    for (std::size_t k = 0; k < changed.wings[w].panels.size(); ++k) {
      PanelDesign& now = changed.wings[w].panels[k];
      const PanelDesign& was = design.wings[w].panels[k];
      if (now.ribs.rule == RibRule::stations && was.ribs.rule != RibRule::stations)
        now.ribs.stations = ribStations(was.ribs, was.panel.span);
    }
  return changed;
}

} // namespace

std::vector<Decision> decisionsOf(const Design& design) {
  Lister lister(design.unit);
  describe(design, lister);
  return std::move(lister.all);
}

std::vector<std::string> usesOf(const Design& design, Shelf shelf, std::string_view key) {
  std::vector<std::string> out;
  for (const Decision& d : decisionsOf(design))
    if (d.shelf == shelf && d.choices[static_cast<std::size_t>(d.value)].first == key) out.push_back(nameOf(design, d));
  return out;
}

std::string nameOf(const Design& design, const Decision& d) {
  const PanelId id = panelOfPath(d.path).value_or(PanelId{wingOfPath(d.path).value_or(0), 0});
  const std::string title = fullTitleOf(d.subject, design, id);
  return title.empty() ? d.label : title + ": " + d.label;
}

std::optional<Decision> decisionAt(const Design& design, std::string_view path) {
  for (Decision& d : decisionsOf(design))
    if (d.path == path) return std::move(d);
  return std::nullopt;
}

Result<Design> decide(const Design& design, std::string_view path, std::string_view typed) {
  if (const auto first = typed.find_first_not_of(' ');
      first != std::string_view::npos && std::string_view("RrSs").find(typed[first]) != std::string_view::npos)
    if (const auto decision = decisionAt(design, path); decision && decision->along)
      if (const auto place = placeOfRib(design, *decision->along, path, typed)) {
        if (!*place) return place->problem();
        return decideValue(design, path, place->value());
      }
  return decideWith(design, path, std::string(typed), 0);
}

Result<Design> decideValue(const Design& design, std::string_view path, double value) {
  if (!std::isfinite(value)) return Problem{std::string(path), "is not a number"};
  return decideWith(design, path, std::nullopt, value);
}

} // namespace eup
