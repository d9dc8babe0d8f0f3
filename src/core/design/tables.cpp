#include "core/design/tables.h"
#include "core/files/json.h"
#include "core/files/json_bounds.h"
#include "core/files/shipped.h"
#include "core/measure/length_text.h"
#include <algorithm>
#include <fmt/format.h>

namespace eup {
namespace {

Result<std::string> textOf(const Json& row, const char* key, const std::string& place) {
  if (!row.contains(key) || !row[key].is_string()) return Problem{place, fmt::format("{}: a text was expected", key)};
  std::string text = row[key];
  const bool plain = std::none_of(text.begin(), text.end(), [](char c) { return static_cast<unsigned char>(c) < ' '; });
  if (text.empty() || text.size() > 200 || !plain)
    return Problem{place, fmt::format("{}: 1 to 200 letters were expected", key)};
  return text;
}

template <class Row> std::optional<Problem> readTable(const Json& all, const char* name, std::vector<Row>& to) {
  if (!all.contains(name)) return std::nullopt; // a file may hold one table only
  if (!all[name].is_array()) return Problem{name, "a list was expected"};
  for (const Json& json : all[name]) {
    const std::string place = fmt::format("{}, row {}", name, to.size() + 1);
    if (!json.is_object()) return Problem{place, "a row of values was expected"};
    Row row;
    for (const auto& [key, value] :
         {std::pair("key", &row.key), std::pair("label", &row.label), std::pair("source", &row.source)}) {
      auto text = textOf(json, key, place);
      if (!text) return text.problem();
      *value = text.value();
    }
    for (const Column<Row>& c : columnsOf(static_cast<const Row*>(nullptr))) {
      if (!json.contains(c.key) || !json[c.key].is_number())
        return Problem{place, fmt::format("{}: a number was expected", c.key)};
      const double v = json[c.key];
      if (!(v >= c.limits.low && v <= c.limits.high))
        return Problem{place, fmt::format("{}: {} is out of bounds, {} to {}", c.key, formatNumber(v, 4),
                                          formatNumber(c.limits.low, 4), formatNumber(c.limits.high, 4))};
      row.*c.value = v;
    }
    for (const Row& r : to)
      if (r.key == row.key) return Problem{place, fmt::format("“{}” is there twice", row.key)};
    to.push_back(std::move(row));
  }
  return std::nullopt;
}

template <class Row> Json tableOf(const std::vector<Row>& rows) {
  Json out = Json::array();
  for (const Row& r : rows) {
    Json one{{"key", r.key}, {"label", r.label}};
    for (const Column<Row>& c : columnsOf(&r)) one[c.key] = r.*c.value;
    one["source"] = r.source;
    out.push_back(std::move(one));
  }
  return out;
}

template <class Row>
const Row* rowNamed(const std::vector<Row>& own, const std::vector<Row>& shipped, std::string_view key) {
  for (const auto* table : {&shipped, &own})
    for (const Row& r : *table)
      if (r.key == key) return &r;
  return nullptr;
}

} // namespace

Result<Tables> readTables(std::string_view text) {
  if (const auto bounded = withinJsonBounds(text); !bounded) return bounded.problem();
  const auto json = Json::parse(text, nullptr, false);
  if (json.is_discarded()) return Problem{"tables", "this is not JSON: the file is damaged or of another kind"};
  const auto there = [&](Shelf s) { return json.is_object() && json.contains(keyOf(s)); };
  if (std::none_of(shelves.begin(), shelves.end(), there))
    return Problem{"tables", "there is no table of materials, coverings, glues, load factors or servos in it"};
  Tables all;
  for (const Shelf s : shelves)
    if (auto p = onShelf(s, [&](auto table) { return readTable(json, keyOf(s), all.*table); })) return *p;
  return all;
}

std::string tablesToText(const Tables& tables) {
  Json out;
  for (const Shelf s : shelves) onShelf(s, [&](auto table) { out[keyOf(s)] = tableOf(tables.*table); });
  return out.dump(2, ' ', false, Json::error_handler_t::replace) + "\n";
}

const char* keyOf(Shelf shelf) {
  return shelf == Shelf::loadFactors ? "loadFactors" : wordsOf(shelf);
}

const char* wordsOf(Shelf shelf) {
  switch (shelf) {
  case Shelf::material:
    return "materials";
  case Shelf::covering:
    return "coverings";
  case Shelf::glue:
    return "glues";
  case Shelf::loadFactors:
    return "load factors";
  case Shelf::servo:
    return "servos";
  }
  return "";
}

const Tables& shippedTables() {
  static const Tables tables = [] {
    Tables all = readTables(shipped::materials()).value();
    all.loadFactors = readTables(shipped::loadFactors()).value().loadFactors;
    all.servos = readTables(shipped::servos()).value().servos;
    return all;
  }();
  return tables;
}

const Material* Tables::find(std::string_view key) const {
  return rowNamed(materials, shippedTables().materials, key);
}

const Material& Tables::named(std::string_view key) const {
  const Material* found = find(key);
  return found ? *found : shippedTables().materials.front();
}

const CoveringStuff& Tables::covering(std::string_view key) const {
  const CoveringStuff* found = rowNamed(coverings, shippedTables().coverings, key);
  return found ? *found : shippedTables().coverings.front();
}

const Glue& Tables::glue(std::string_view key) const {
  const Glue* found = rowNamed(glues, shippedTables().glues, key);
  return found ? *found : shippedTables().glues.front();
}

const LoadFactors& Tables::factors(std::string_view key) const {
  const LoadFactors* found = rowNamed(loadFactors, shippedTables().loadFactors, key);
  return found ? *found : shippedTables().loadFactors.front();
}

const Servo& Tables::servo(std::string_view key) const {
  const Servo* found = rowNamed(servos, shippedTables().servos, key);
  return found ? *found : shippedTables().servos.front();
}

std::vector<const Material*> Tables::all() const {
  std::vector<const Material*> out;
  for (const auto* table : {&shippedTables().materials, &materials})
    for (const Material& m : *table) out.push_back(&m);
  return out;
}

std::vector<Tables::Name> Tables::namesOn(Shelf shelf) const {
  std::vector<Name> out;
  if (shelf == Shelf::loadFactors) out.push_back({typedFactors, "load factors as typed"});
  for (const Tables* from : {&shippedTables(), this})
    onShelf(shelf, [&](auto table) {
      for (const auto& r : from->*table) out.push_back({r.key, r.label});
    });
  return out;
}

bool Tables::has(Shelf shelf, std::string_view key) const {
  for (const Name& n : namesOn(shelf))
    if (n.key == key) return true;
  return false;
}

} // namespace eup
