// What has to be looked at before a panel is closed in by its skins: it can not be seen afterwards.
#pragma once
#include "core/assembly/bond.h"
#include "core/design/panel_brief.h"
#include <string>
#include <vector>

namespace eup {

struct Hold {
  std::string key;  ///< of the whole design, see `Looked`: "0.0:glue"
  std::string what; ///< in words: "glue at ribs, spars and webs, from inside"
  bool looked = false;
};

/// Of a panel that has spaces shut between sheet above and below: what lies in there, and what the builder adds of his
/// own; nothing of one that stays open. `joiner`: it has a socket for one.
std::vector<Hold> holdsOf(const PanelBrief& design, const std::vector<Space>& spaces, bool joiner);

} // namespace eup
