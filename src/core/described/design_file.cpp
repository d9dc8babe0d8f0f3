#include "core/described/design_file.h"
#include "core/described/describe.h"
#include "core/described/design_migration.h"
#include "core/design/lasting.h"
#include "core/design/tables.h"
#include "core/files/bytes.h"
#include "core/files/json.h"
#include "core/files/json_bounds.h"
#include "core/files/shipped.h"
#include "core/measure/date.h"
#include "core/measure/length_text.h"
#include "core/section/naca.h"
#include <algorithm>
#include <cmath>
#include <fmt/format.h>
#include <set>

namespace eup {
namespace {

Json pointsToJson(const Polyline& line) {
  Json out = Json::array();
  for (const Point& p : line) out.push_back({p.x(), p.y()});
  return out;
}

const char* keyOf(DihedralBy by) {
  return by == DihedralBy::rise ? "rise" : by == DihedralBy::angle ? "angleDeg" : "projected";
}

class Writer : public Visitor {
public:
  using Visitor::group;
  Json root = Json::object();

  void group(const char* key, Topic, int, Inside inside) override {
    if (!*key) return inside();
    Json* outer = at;
    at = &(*outer)[key];
    *at = Json::object();
    inside();
    at = outer;
  }
  void hidden(const char* key, Inside inside) override { group(key, Topic::none, inside); }
  void items(const char* key, Topic, ListRef all, int, bool, Each each) override {
    Json* outer = at;
    Json array = Json::array();
    for (std::size_t i = 0; i < all.size(); ++i) {
      Json one = Json::object();
      at = &one;
      each(i);
      array.push_back(std::move(one));
    }
    at = outer;
    (*at)[key] = std::move(array);
  }
  void length(const char* key, const char*, double& v, Limits, bool = true) override { (*at)[key] = v; }
  void fraction(const char* key, const char*, double& v, Limits, bool = true) override { (*at)[key] = v; }
  void number(const char* key, const char*, double& v, Limits, bool = true) override { (*at)[key] = v; }
  void mass(const char* key, const char*, double& v, Limits, bool = true) override { (*at)[key] = v; }
  void angle(const char* key, const char*, double& v, Limits, bool = true) override {
    (*at)[std::string(key) + "Deg"] = v;
  }
  void count(const char* key, const char*, int& v, Limits, bool = true) override { (*at)[key] = v; }
  void flag(const char* key, const char*, bool& v, bool = true) override { (*at)[key] = v; }
  void text(const char* key, const char*, std::string& v, bool = true) override { (*at)[key] = v; }
  void listed(const char* key, const char*, std::string& v, Shelf, bool = true) override { (*at)[key] = v; }
  void chosen(const char* key, const char*, std::size_t& v, std::span<const Choice> names, bool) override {
    (*at)[key] = names[v].key;
  }
  void stations(const char* key, const char*, std::vector<double>& v, bool) override { (*at)[key] = v; }
  void numbers(const char* key, const char*, std::vector<int>& v, bool = true) override { (*at)[key] = v; }
  void shares(const char* key, const char*, std::vector<double>& v, bool) override { (*at)[key] = v; }
  void freeText(const char* key, std::string& v) override { (*at)[key] = v; }
  void lasting(const char* key, int& v) override { (*at)[key] = v; }
  void day(const char* key, const char*, std::string& v) override { (*at)[key] = v; }
  void digits(const char* key, const char*, std::string& v, bool) override { (*at)[key] = v; }
  void points(const char* key, Polyline& v, std::size_t) override { (*at)[key] = pointsToJson(v); }
  void outline(const char* key, const char*, Polyline& v, bool) override { (*at)[key] = pointsToJson(v); }
  void bytes(const char* key, EmbeddedCopy& v) override { (*at)[key] = toBase64(v.bytes()); }
  void dihedral(const char* key, Dihedral& v, double, bool) override { (*at)[key] = Json{{keyOf(v.by), v.value}}; }

private:
  Json* at = &root;
};

class Reader : public Visitor {
public:
  using Visitor::group;
  explicit Reader(const Json& json) : at(&json) {}
  std::optional<Problem> problem;
  std::vector<std::string> notes;

  void group(const char* key, Topic, int, Inside inside) override {
    if (!*key) return inside();
    const Json* found = take(key);
    if (!found) return;
    if (!found->is_object()) return refuse(key, "a group of decisions was expected");
    descend(key, *found, inside);
  }
  /// A group that older files do not have.
  void hidden(const char* key, Inside inside) override {
    if (at->contains(key)) group(key, Topic::none, inside);
  }
  void items(const char* key, Topic, ListRef all, int most, bool needed, Each each) override {
    if (needed && at->contains(key) && (*at)[key].is_array() && (*at)[key].empty())
      return refuse(key, "the list is empty: one is needed at least");
    const Json* found = take(key);
    if (!found) return;
    if (!found->is_array()) return refuse(key, "a list was expected");
    if (static_cast<int>(found->size()) > most)
      return refuse(key, fmt::format("{} are listed; there can be {}", found->size(), most));
    all.resize(0);
    for (std::size_t i = 0; i < found->size(); ++i) {
      all.resize(i + 1);
      if (!(*found)[i].is_object())
        return refuse(fmt::format("{}/{}", key, i).c_str(), "a group of decisions was expected");
      descend(fmt::format("{}/{}", key, i), (*found)[i], [&] { each(i); });
    }
  }
  void length(const char* key, const char*, double& v, Limits l, bool = true) override { real(key, v, l, "mm"); }
  void fraction(const char* key, const char*, double& v, Limits l, bool = true) override {
    real(key, v, l, "of the chord");
  }
  void number(const char* key, const char*, double& v, Limits l, bool = true) override { real(key, v, l, ""); }
  void mass(const char* key, const char*, double& v, Limits l, bool = true) override { real(key, v, l, "g"); }
  void angle(const char* key, const char*, double& v, Limits l, bool = true) override {
    real((std::string(key) + "Deg").c_str(), v, l, "degrees");
  }
  void count(const char* key, const char*, int& v, Limits l, bool = true) override {
    double n = v;
    real(key, n, l, "");
    if (n != std::floor(n)) mend(key, fmt::format("{} is no whole number", formatNumber(n, 3)), std::floor(n));
    v = static_cast<int>(std::floor(n));
  }
  void flag(const char* key, const char*, bool& v, bool = true) override {
    const Json* found = take(key);
    if (!found) return;
    if (!found->is_boolean()) return refuse(key, "true or false was expected");
    v = found->template get<bool>();
  }
  void text(const char* key, const char*, std::string& v, bool = true) override {
    const Json* found = take(key);
    if (!found) return;
    if (!found->is_string()) return refuse(key, "a text was expected");
    v = cut(key, found->template get_ref<const std::string&>(), mostNameLetters);
  }
  void know(const Tables& rows) override { own = &rows; }
  void listed(const char* key, const char*, std::string& v, Shelf shelf, bool = true) override {
    std::string name = v;
    text(key, "", name);
    if (!own->has(shelf, name)) return refuse(key, fmt::format("“{}” is not in the table of {}", name, wordsOf(shelf)));
    v = name;
  }
  void chosen(const char* key, const char*, std::size_t& v, std::span<const Choice> names, bool) override {
    const Json* found = take(key);
    if (!found) return;
    std::string all;
    for (std::size_t i = 0; i < names.size(); ++i) {
      if (found->is_string() && found->template get_ref<const std::string&>() == names[i].key) {
        v = i;
        return;
      }
      all += (i ? ", " : "") + std::string(names[i].key);
    }
    refuse(key, "one of " + all + " was expected");
  }
  void stations(const char* key, const char*, std::vector<double>& v, bool) override {
    const Json* found = take(key);
    if (!found) return;
    if (!found->is_array()) return refuse(key, "a list of numbers was expected");
    v.clear();
    const std::size_t take = kept(key, found->size(), mostRibs);
    for (std::size_t i = 0; i < take; ++i) {
      const Json& s = (*found)[i];
      if (!s.is_number() || !std::isfinite(s.template get<double>()))
        return refuse(key, "a list of numbers was expected");
      v.push_back(s.template get<double>());
    }
  }
  void shares(const char* key, const char*, std::vector<double>& v, bool) override {
    const Json* found = take(key);
    if (!found) return;
    std::vector<double> all;
    if (!found->is_array() || found->size() > static_cast<std::size_t>(mostShares))
      return refuse(key, fmt::format("a list of at most {} numbers was expected", mostShares));
    for (const Json& s : *found) {
      if (!s.is_number() || !(s.template get<double>() >= 0 && s.template get<double>() <= mostShare))
        return refuse(key, "a list of shares of lift was expected, each 0 or more");
      all.push_back(s.template get<double>());
    }
    if (const auto cause = wrongShares(all)) return refuse(key, *cause);
    v = all;
  }
  void numbers(const char* key, const char*, std::vector<int>& v, bool = true) override {
    const Json* found = take(key);
    if (!found) return;
    if (!found->is_array()) return refuse(key, "a list of rib numbers was expected, the root rib is 1");
    v.clear();
    const std::size_t take = kept(key, found->size(), mostRibs);
    for (std::size_t i = 0; i < take; ++i) {
      const Json& s = (*found)[i];
      if (!s.is_number_integer()) return refuse(key, "a list of rib numbers was expected, the root rib is 1");
      const double n = s.template get<double>();
      if (n < 1 || n > mostRibs)
        notes.push_back(fmt::format("{}/{}: {} is no rib, and was left out", place, key, formatNumber(n, 0)));
      else
        v.push_back(static_cast<int>(n));
    }
  }
  void lasting(const char* key, int& v) override { count(key, "", v, Limits{0, mostNumber}); }
  void freeText(const char* key, std::string& v) override {
    const Json* found = take(key);
    if (!found) return;
    if (!found->is_string()) return refuse(key, "a text was expected");
    v = cut(key, found->template get_ref<const std::string&>(), mostTextLetters);
  }
  void day(const char* key, const char* label, std::string& v) override {
    text(key, label, v);
    if (v.empty() || dateFromText(v)) return;
    notes.push_back(
        fmt::format("{}/{}: “{}” is no day of the calendar, and is not kept", place, key, firstLetters(v, 40)));
    v.clear();
  }
  void digits(const char* key, const char*, std::string& v, bool) override {
    std::string typed = v;
    freeText(key, typed);
    const auto naca = readNaca(typed);
    if (!naca) return refuse(key, naca.problem().cause);
    v = naca.value().digits;
  }
  void points(const char* key, Polyline& v, std::size_t most) override {
    const Json* found = take(key);
    if (!found) return;
    Polyline read;
    if (!pointsFrom(*found, read, most))
      return refuse(key, fmt::format("a list of at most {} points [x, y], each within 10 million, was expected", most));
    v = std::move(read);
  }
  void outline(const char* key, const char*, Polyline& v, bool) override {
    Polyline read = v;
    points(key, read, mostTipPoints);
    if (problem) return;
    if (const auto cause = wrongOutline(read)) return refuse(key, *cause);
    v = std::move(read);
  }
  void bytes(const char* key, EmbeddedCopy& v) override {
    const Json* found = take(key);
    if (!found) return;
    const auto decoded = found->is_string() ? fromBase64(found->template get_ref<const std::string&>()) : std::nullopt;
    if (!decoded) return refuse(key, "a copy in base64 was expected: it is damaged");
    if (!decoded->empty()) v = EmbeddedCopy(*decoded);
  }
  void dihedral(const char* key, Dihedral& v, double, bool) override {
    const Json* found = take(key);
    if (!found) return;
    if (!found->is_object() || found->size() != 1)
      return refuse(key, "one of rise, angleDeg and projected was expected");
    for (const DihedralBy by : {DihedralBy::rise, DihedralBy::angle, DihedralBy::projected})
      if (found->contains(keyOf(by))) v.by = by;
    descend(key, *found, [&] {
      // Whether it fits the span is for the wing to say: a wing that contradicts itself can be saved, and must load.
      if (v.by == DihedralBy::rise) length("rise", "", v.value, Limits{-farthestRise, farthestRise});
      if (v.by == DihedralBy::angle) angle("angle", "", v.value, Limits{-50, 50});
      if (v.by == DihedralBy::projected) length("projected", "", v.value, Limits{0, farthestRise});
    });
  }
  void noteUnknown() {
    if (!at->is_object()) return;
    for (const auto& [key, value] : at->items())
      if (!seen.contains(key))
        notes.push_back(fmt::format("{}/{} is not known to this version and is not kept", place, key));
  }
  void known(const char* key) { seen.insert(key); }

private:
  static bool pointsFrom(const Json& json, Polyline& out, std::size_t most) {
    if (!json.is_array() || json.size() > most) return false;
    for (const Json& p : json) {
      if (!p.is_array() || p.size() != 2 || !p[0].is_number() || !p[1].is_number()) return false;
      out.emplace_back(p[0].get<double>(), p[1].get<double>());
      if (!(std::abs(out.back().x()) < farthestPoint && std::abs(out.back().y()) < farthestPoint)) return false;
    }
    return true;
  }
  const Json* take(const char* key) {
    seen.insert(key);
    const auto found = at->find(key);
    if (found != at->end()) return &*found;
    notes.push_back(fmt::format("{}/{} is missing and takes its default", place, key));
    return nullptr;
  }
  void real(const char* key, double& v, Limits l, const char* unit) {
    const Json* found = take(key);
    if (!found) return;
    if (!found->is_number()) return refuse(key, "a number was expected");
    const double n = found->get<double>();
    v = n;
    if (l.tooLittle(n)) {
      v = l.orFrom;
      return mend(key, fmt::format("{} is too little: 0 for none, or at least {}", formatNumber(n, 3), l.orFrom), v);
    }
    if (n >= l.low - 1e-9 && n <= l.high + 1e-9) return;
    v = std::clamp(n, l.low, l.high);
    mend(key,
         fmt::format("{} is out of bounds, {} to {} {}", formatNumber(n, 3), formatNumber(l.low, 3),
                     formatNumber(l.high, 3), unit),
         v);
  }
  // One value beyond its limits must not cost a builder the wing: it is mended, and said.
  void mend(const char* key, const std::string& why, double taken) {
    notes.push_back(fmt::format("{}/{}: {}; {} was taken", place, key, why, formatNumber(taken, 3)));
  }
  std::size_t kept(const char* key, std::size_t there, std::size_t most) {
    if (there > most)
      notes.push_back(fmt::format("{}/{}: {} are listed; the first {} were taken", place, key, there, most));
    return std::min(there, most);
  }
  std::string cut(const char* key, const std::string& text, std::size_t letters) {
    std::string out = firstLetters(text, letters);
    if (out != text) notes.push_back(fmt::format("{}/{}: longer than {} letters; it was cut", place, key, letters));
    return out;
  }
  void refuse(const char* key, std::string cause) {
    for (char& c : cause) // what a damaged file says is told as text that can be read
      if (static_cast<unsigned char>(c) < ' ') c = '?';
    if (!problem) problem = Problem{place + "/" + key, std::move(cause)};
  }
  template <class F> void descend(const std::string& key, const Json& json, F inside) {
    const Json* outer = at;
    const std::string outerPlace = place;
    std::set<std::string> outerSeen;
    outerSeen.swap(seen);
    at = &json;
    place += "/" + key;
    inside();
    noteUnknown();
    at = outer;
    place = outerPlace;
    seen.swap(outerSeen);
  }

  const Json* at;
  const Tables* own = nullptr;
  std::string place;
  std::set<std::string> seen;
};

/// Indented by two, but lists of nothing but numbers on one line each: a point reads as a point.
void write(const Json& json, std::string& out, std::size_t depth) {
  const auto plain = [](const Json& j) { return j.dump(-1, ' ', false, Json::error_handler_t::replace); };
  const auto onlyNumbers = [](const Json& list) {
    return std::all_of(list.begin(), list.end(), [](const Json& one) { return one.is_number(); });
  };
  if (!json.is_structured() || json.empty()) {
    out += plain(json);
    return;
  }
  const bool list = json.is_array(), oneLine = list && onlyNumbers(json);
  out += list ? '[' : '{';
  bool first = true;
  for (const auto& [key, value] : json.items()) {
    if (!first) out += oneLine ? ", " : ",";
    first = false;
    if (!oneLine) out.append(1, '\n').append(2 * (depth + 1), ' ');
    if (!list) out += plain(Json(key)) + ": ";
    write(value, out, depth + 1);
  }
  if (!oneLine) out.append(1, '\n').append(2 * depth, ' ');
  out += list ? ']' : '}';
}

Problem jsonProblem(std::string_view text, const nlohmann::json::parse_error& error) {
  const std::size_t end = std::min(error.byte, text.size());
  std::size_t line = 1, column = 1;
  for (std::size_t i = 0; i + 1 < end; ++i) text[i] == '\n' ? (++line, column = 1) : ++column;
  return Problem{fmt::format("line {}, column {}", line, column),
                 end >= text.size() ? "the file ends in the middle: it is damaged"
                                    : "this is not JSON: the file is damaged or of another kind"};
}

} // namespace

Design demoDesign(std::string_view name) {
  auto read = designFromText(shipped::demo(name).value());
  assert(read.ok());
  for (PlanSheet& sheet : read.value().design.plan.sheets)
    if (const auto bytes = shipped::plan(sheet.file)) sheet.copy = EmbeddedCopy(std::string(*bytes));
  return std::move(read.value().design);
}

std::string designToText(const Design& design) {
  Writer writer;
  writer.root["format"] = fileFormatName;
  writer.root["version"] = fileFormatVersion;
  describe(design, writer);
  std::string out;
  write(writer.root, out, 0);
  return out + "\n";
}

/// The library names the number in quotes at the end of what it says, and not its place.
static Problem tooLarge(std::string_view text, std::string_view said) {
  const auto to = said.rfind('\''), from = to == std::string_view::npos ? to : said.rfind('\'', to - 1);
  if (from == std::string_view::npos) return {"", "a number in the file is too large to be read"};
  const std::string_view number = said.substr(from + 1, to - from - 1);
  const auto line =
      1 + std::count(text.begin(), text.begin() + static_cast<std::ptrdiff_t>(std::min(text.find(number), text.size())),
                     '\n');
  return {fmt::format("line {}", line), fmt::format("the number {} is too large to be read", firstLetters(number, 30))};
}

Result<ReadDesign> designFromText(std::string_view text) {
  if (const auto bounded = withinJsonBounds(text); !bounded) return bounded.problem();
  Json json;
  // What stands twice would be dropped without a word: of two groups of records one.
  std::vector<std::set<std::string>> open;
  std::string twice;
  const auto watch = [&](int, Json::parse_event_t event, Json& what) {
    if (event == Json::parse_event_t::object_start) open.emplace_back();
    if (event == Json::parse_event_t::object_end && !open.empty()) open.pop_back();
    if (event == Json::parse_event_t::key && twice.empty() && !open.back().insert(what.get<std::string>()).second)
      twice = what.get<std::string>();
    return true;
  };
  try {
    json = Json::parse(text, watch);
  } catch (const nlohmann::json::parse_error& error) {
    return jsonProblem(text, error);
  } catch (const nlohmann::json::exception& error) {
    return tooLarge(text, error.what());
  }
  if (!twice.empty())
    return Problem{"", fmt::format("“{}” stands there twice in one group, and only one could be kept: take one of them "
                                   "out, or put what they hold together",
                                   firstLetters(twice, 60))};
  if (!json.is_object() || !json.contains("format") || json["format"] != fileFormatName)
    return Problem{"/format", fmt::format("this is not a wing file: “format” should be “{}”", fileFormatName)};
  if (!json.contains("version") || !json["version"].is_number_integer())
    return Problem{"/version", "the file does not say its version"};
  const auto version = json["version"].get<long long>();
  if (version > fileFormatVersion)
    return Problem{"/version", fmt::format("the file is of version {}, from a newer program; this one reads up to {}",
                                           version, fileFormatVersion)};
  if (version < 1) return Problem{"/version", fmt::format("there is no version {}", version)};
  migrate(json, static_cast<int>(version));
  ReadDesign read;
  Reader reader(json);
  reader.known("format");
  reader.known("version");
  describe(read.design, reader);
  reader.noteUnknown();
  if (reader.problem) return *reader.problem;
  for (std::size_t w = 0; w < read.design.wings.size(); ++w)
    for (std::size_t k = 0; k < read.design.wings[w].panels.size(); ++k) {
      const Sections& sections = read.design.wings[w].panels[k].sections;
      for (const auto& [key, section] : {std::pair("root", &sections.root), std::pair("tip", &sections.tip)})
        if (section->kind == SectionKind::listed)
          if (auto checked = checkedListing(section->listed); !checked)
            return Problem{fmt::format("/wings/{}/panels/{}/sections/{}/listed", w, k, key), checked.problem().text()};
    }
  for (std::size_t i = 0; i < read.design.plan.readings.size(); ++i) {
    const Reading& r = read.design.plan.readings[i];
    const PointCount n = pointsOf(r.kind);
    const auto place = fmt::format("/plan/readings/{}", i);
    if (static_cast<int>(r.points.size()) < n.least || static_cast<int>(r.points.size()) > n.most)
      return Problem{place, fmt::format("{} has {} points; {} were expected", nameOf(r), r.points.size(), n.least)};
    if (r.sheet > static_cast<int>(read.design.plan.sheets.size()))
      return Problem{place, fmt::format("{} is on sheet {}, and there is no such sheet", nameOf(r), r.sheet)};
  }
  read.notes = std::move(reader.notes);
  for (const std::string& place : makeNumbersOwn(read.design))
    read.notes.push_back(place + "/number is another one's too: it was given a number of its own");
  return read;
}

} // namespace eup
