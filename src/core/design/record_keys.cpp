#include "core/design/record_keys.h"
#include <fmt/format.h>

namespace eup {

std::string stepPrefix(PanelNumber of, std::optional<Hand> hand) {
  return fmt::format("{}.{}.{}.", of.wing + 1, of.panel + 1, hand ? name(*hand) : "one");
}

std::string ownStepKey(int number) {
  return fmt::format("own.{}", number);
}

std::string otherHandsKey(const std::string& key) {
  for (const Hand hand : {Hand::right, Hand::left}) {
    const std::string of = fmt::format(".{}.", name(hand)),
                      other = fmt::format(".{}.", name(hand == Hand::right ? Hand::left : Hand::right));
    if (const auto at = key.find(of); at != std::string::npos) return std::string(key).replace(at, of.size(), other);
  }
  return key;
}

std::string kindOfStep(const std::string& key) {
  if (key.starts_with("own.")) return "own";
  std::string kind = key.substr(key.rfind('.') == std::string::npos ? 0 : key.rfind('.') + 1);
  while (!kind.empty() && kind.back() >= '0' && kind.back() <= '9') kind.pop_back();
  return kind;
}

std::string pieceKey(PanelNumber panel, const std::string& part) {
  return fmt::format("wings.{}.panels.{}.{}", panel.wing, panel.panel, part);
}

std::string holdKey(PanelNumber panel, const std::string& kind) {
  return fmt::format("{}.{}:{}", panel.wing, panel.panel, kind);
}

} // namespace eup
