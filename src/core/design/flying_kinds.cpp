#include "core/design/flying_kinds.h"
#include "core/design/describe.h"
#include "core/files/shipped.h"
#include <fmt/format.h>
#include <nlohmann/json.hpp>

namespace eup {

Result<std::vector<FlyingFactors>> readFlyingFactors(std::string_view text) {
  const auto json = nlohmann::json::parse(text, nullptr, false);
  if (json.is_discarded() || !json.contains("kinds")) return Problem{"load factors", "the table cannot be read"};
  std::vector<FlyingFactors> all;
  for (const auto& k : json["kinds"]) {
    const std::string place = fmt::format("load factors, row {}", all.size() + 1);
    try {
      all.push_back({k.at("key"), k.at("label"), k.at("pull"), k.at("push"), k.at("source")});
    } catch (const nlohmann::json::exception& e) {
      return Problem{place, e.what()};
    }
    if (all.size() >= flyingKindChoices.size() || all.back().key != flyingKindChoices[all.size()].key)
      return Problem{place, fmt::format("“{}” is not the kind of flying that belongs there", all.back().key)};
    if (!(all.back().pull >= 1) || !(all.back().push >= 0))
      return Problem{place, "pull is at least 1, push at least 0"};
  }
  if (all.size() + 1 != flyingKindChoices.size()) return Problem{"load factors", "some kinds of flying are missing"};
  return all;
}

const std::vector<FlyingFactors>& shippedFlyingFactors() {
  static const std::vector<FlyingFactors> table = readFlyingFactors(shipped::flyingFactors()).value();
  return table;
}

FlyingFactors factorsOf(const Flying& f) {
  if (f.kind == FlyingKind::own) return {"own", "own load factor", f.loadFactor, f.pushFactor, "as decided"};
  return shippedFlyingFactors()[static_cast<std::size_t>(f.kind) - 1];
}

} // namespace eup
