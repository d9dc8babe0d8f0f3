#include "core/design/lasting.h"
#include <algorithm>
#include <fmt/format.h>

namespace eup {
namespace {

/// Every list of a panel whose items keep a number from 1, 0 being none yet: its key in the file, and the list.
template <class Panel, class Told> void eachList(Panel& p, Told told) {
  told("spars", p.spars);
  told("sheeted", p.sheeted);
  told("holds", p.holds);
  told("inCore", p.inCore);
  told("surfaces", p.surfaces);
  told("runs", p.runs);
  told("hardPoints", p.hardPoints);
  told("join/braces", p.join.braces);
}

template <class List> bool has(const List& list, std::size_t before, int number) {
  return std::any_of(list.begin(), list.begin() + static_cast<std::ptrdiff_t>(before),
                     [&](const auto& one) { return one.number == number; });
}

/// Beyond every number that was given.
int beyond(const Design& d) {
  const std::vector<int> all = numbersIn(d);
  return *std::max_element(all.begin(), all.end()) + 1; // there is a wing
}

} // namespace

std::vector<int> numbersIn(const Design& d) {
  std::vector<int> out;
  const auto put = [&](const auto& list) {
    for (const auto& one : list) out.push_back(one.number);
  };
  for (const Wing& wing : d.wings) {
    out.push_back(wing.number);
    put(wing.struts);
    for (const PanelDesign& p : wing.panels) {
      out.push_back(p.number);
      eachList(p, [&](const char*, const auto& list) { put(list); });
    }
  }
  return out;
}

int freshNumber(const Design& d) {
  const int next = std::max(d.records.numbersGiven, beyond(d));
  if (next <= mostNumber) return next;
  const std::vector<int> all = numbersIn(d); // a file gave the last one: the first that is nobody's
  int free = 1;
  while (std::find(all.begin(), all.end(), free) != all.end()) ++free;
  return free;
}

std::vector<std::string> makeNumbersOwn(Design& d) {
  std::vector<std::string> out;
  const auto own = [&](auto& list, const std::string& place) {
    for (std::size_t i = 0; i < list.size(); ++i) {
      int& number = list[i].number;
      const bool twice = number > 0 && has(list, i, number);
      if (number > 0 && !twice) continue;
      if (twice) out.push_back(fmt::format("{}/{}", place, i));
      const int mine = static_cast<int>(i) + 1;
      const bool free = std::none_of(list.begin(), list.end(), [&](const auto& one) { return one.number == mine; });
      number = !twice && free && mine >= d.records.numbersGiven ? mine : freshNumber(d);
    }
  };
  for (std::size_t w = 0; w < d.wings.size(); ++w) {
    Wing& wing = d.wings[w];
    if (has(d.wings, w, wing.number)) out.push_back(fmt::format("/wings/{}", w)), wing.number = freshNumber(d);
    own(wing.struts, fmt::format("/wings/{}/struts", w));
    for (std::size_t k = 0; k < wing.panels.size(); ++k) {
      const std::string place = fmt::format("/wings/{}/panels/{}", w, k);
      if (has(wing.panels, k, wing.panels[k].number)) out.push_back(place), wing.panels[k].number = freshNumber(d);
      eachList(wing.panels[k], [&](const char* key, auto& list) { own(list, place + "/" + key); });
    }
  }
  return out;
}

} // namespace eup
