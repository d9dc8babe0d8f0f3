#include "core/design/material.h"
#include "core/files/shipped.h"
#include "core/measure/length_text.h"
#include <algorithm>
#include <fmt/format.h>
#include <nlohmann/json.hpp>

namespace eup {
namespace {

using Json = nlohmann::ordered_json;

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

template <class Row>
std::vector<Materials::Name> namesIn(const std::vector<Row>& own, const std::vector<Row>& shipped) {
  std::vector<Materials::Name> out;
  out.reserve(own.size() + shipped.size());
  for (const auto* table : {&shipped, &own})
    for (const Row& r : *table) out.push_back({r.key, r.label});
  return out;
}

} // namespace

Result<Materials> readMaterials(std::string_view text) {
  const auto json = Json::parse(text, nullptr, false);
  if (json.is_discarded()) return Problem{"materials", "this is not JSON: the file is damaged or of another kind"};
  if (!json.is_object() || !(json.contains("materials") || json.contains("coverings") || json.contains("glues")))
    return Problem{"materials", "there is no table of materials, coverings or glues in it"};
  Materials all;
  if (auto p = readTable(json, "materials", all.materials)) return *p;
  if (auto p = readTable(json, "coverings", all.coverings)) return *p;
  if (auto p = readTable(json, "glues", all.glues)) return *p;
  return all;
}

std::string materialsToText(const Materials& tables) {
  Json out;
  out["materials"] = tableOf(tables.materials);
  out["coverings"] = tableOf(tables.coverings);
  out["glues"] = tableOf(tables.glues);
  return out.dump(2) + "\n";
}

const char* nameOf(Shelf shelf) {
  return shelf == Shelf::material ? "materials" : shelf == Shelf::covering ? "coverings" : "glues";
}

const Materials& shippedMaterials() {
  static const Materials tables = readMaterials(shipped::materials()).value();
  return tables;
}

const Material* Materials::find(std::string_view key) const {
  return rowNamed(materials, shippedMaterials().materials, key);
}

const Material& Materials::named(std::string_view key) const {
  const Material* found = find(key);
  return found ? *found : shippedMaterials().materials.front();
}

const CoveringStuff& Materials::covering(std::string_view key) const {
  const CoveringStuff* found = rowNamed(coverings, shippedMaterials().coverings, key);
  return found ? *found : shippedMaterials().coverings.front();
}

const Glue& Materials::glue(std::string_view key) const {
  const Glue* found = rowNamed(glues, shippedMaterials().glues, key);
  return found ? *found : shippedMaterials().glues.front();
}

std::vector<const Material*> Materials::all() const {
  std::vector<const Material*> out;
  for (const auto* table : {&shippedMaterials().materials, &materials})
    for (const Material& m : *table) out.push_back(&m);
  return out;
}

std::vector<Materials::Name> Materials::namesOn(Shelf shelf) const {
  const Materials& s = shippedMaterials();
  switch (shelf) {
  case Shelf::material:
    return namesIn(materials, s.materials);
  case Shelf::covering:
    return namesIn(coverings, s.coverings);
  case Shelf::glue:
    break;
  }
  return namesIn(glues, s.glues);
}

bool Materials::has(Shelf shelf, std::string_view key) const {
  for (const Name& n : namesOn(shelf))
    if (n.key == key) return true;
  return false;
}

} // namespace eup
