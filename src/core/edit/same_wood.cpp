#include "core/edit/same_wood.h"
#include "core/assembly/part.h"
#include "core/design/lasting.h"
#include "core/design/panel_rules.h"
#include "core/design/record_keys.h"
#include <algorithm>
#include <array>
#include <cmath>
#include <fmt/format.h>
#include <map>
#include <numeric>
#include <optional>

namespace eup {
namespace {

/// A panel as far as what is recorded of it is told by it.
struct Lies {
  PanelNumber number;
  int firstRib = 1;
  double from = 0, span = 0; ///< mm along its wing
  std::vector<double> ribs;  ///< mm along its wing
  bool operator==(const Lies&) const = default;
};

std::vector<Lies> liesOf(const Wing& wing) {
  std::vector<Lies> out;
  int rib = 1;
  double from = 0;
  for (const PanelDesign& p : wing.panels) {
    Lies one{{wing.number, p.number}, rib, from, p.panel.span, ribStations(p.ribs, p.panel.span)};
    for (double& place : one.ribs) place += from;
    rib += static_cast<int>(one.ribs.size()), from += p.panel.span;
    out.push_back(std::move(one));
  }
  return out;
}

/// Wood that was told by `from` and is told by `to`, each from the inside outwards.
struct Moved {
  std::vector<Lies> from, to;

  /// The same panel, whose ribs are perhaps counted on from another number.
  bool same() const { return from.size() == 1 && to.size() == 1 && from.front().number == to.front().number; }

  /// A rib where it stands now. At a join it is the inner panel's outer end, or, where what hangs on it lies outside
  /// it, the outer panel's root.
  std::optional<std::pair<PanelNumber, int>> rib(const Lies& panel, int number, bool outside) const {
    const int index = number - panel.firstRib;
    if (same()) // it keeps its place in its panel, there or not
      return std::pair(panel.number, std::max(to.front().firstRib + index, 1));
    if (index < 0 || index >= static_cast<int>(panel.ribs.size())) return std::nullopt;
    constexpr double same = 0.5; // mm
    const double place = panel.ribs[static_cast<std::size_t>(index)] - from.front().from;
    std::optional<std::pair<PanelNumber, int>> out;
    for (const Lies& l : to)
      for (std::size_t i = 0; i < l.ribs.size() && (outside || !out); ++i)
        if (std::abs(l.ribs[i] - to.front().from - place) < same)
          out = std::pair(l.number, l.firstRib + static_cast<int>(i));
    return out;
  }
};

std::vector<Moved> movedBetween(const Design& before, const Design& after) {
  std::vector<Moved> out;
  for (const Wing& was : before.wings) {
    const auto is =
        std::find_if(after.wings.begin(), after.wings.end(), [&](const Wing& w) { return w.number == was.number; });
    if (is == after.wings.end()) continue;
    const std::vector<Lies> from = liesOf(was), to = liesOf(*is);
    if (from == to) continue;
    const auto in = [](const std::vector<Lies>& all, PanelNumber n) {
      return std::find_if(all.begin(), all.end(), [&](const Lies& l) { return l.number == n; });
    };
    Moved replaced;
    for (const Lies& l : from)
      if (const auto now = in(to, l.number); now != to.end())
        out.push_back({{l}, {*now}});
      else
        replaced.from.push_back(l);
    for (const Lies& l : to)
      if (in(from, l.number) == from.end()) replaced.to.push_back(l);
    const auto length = [](const std::vector<Lies>& all) {
      return std::accumulate(all.begin(), all.end(), 0.0, [](double sum, const Lies& l) { return sum + l.span; });
    };
    const auto unbroken = [](const std::vector<Lies>& all) {
      for (std::size_t i = 1; i < all.size(); ++i)
        if (std::abs(all[i - 1].from + all[i - 1].span - all[i].from) > 1e-6) return false;
      return !all.empty();
    };
    if (unbroken(replaced.from) && unbroken(replaced.to) && std::abs(length(replaced.from) - length(replaced.to)) < 1.0)
      out.push_back(std::move(replaced));
  }
  return out;
}

const Lies* among(const std::vector<Lies>& all, PanelNumber number) {
  const auto found = std::find_if(all.begin(), all.end(), [&](const Lies& l) { return l.number == number; });
  return found == all.end() ? nullptr : &*found;
}

/// Of a panel that is cut, what belongs to its root, or to its tip; the rest is of all its parts.
enum class Belongs { toAll, toRoot, toTip };
Belongs belongs(std::string_view step) {
  const std::string_view word = step.substr(0, step.find('.'));
  if (word == "join" || word == "brace") return Belongs::toRoot;
  if (word == "tip" || word == "braceTip") return Belongs::toTip;
  return Belongs::toAll;
}
Belongs belongs(PieceKind kind) {
  switch (kind) {
  case PieceKind::brace:
  case PieceKind::joiner:
  case PieceKind::joinerFacing:
  case PieceKind::frontPost:
  case PieceKind::rearPost:
    return Belongs::toRoot;
  case PieceKind::tip:
    return Belongs::toTip;
  default:
    return Belongs::toAll;
  }
}
std::vector<Lies> those(const std::vector<Lies>& all, Belongs where) {
  if (where == Belongs::toRoot) return {all.front()};
  if (where == Belongs::toTip) return {all.back()};
  return all;
}

/// Whether a piece stands at one rib or in one bay.
bool ofOnePlace(PieceId id) {
  return ribOf(id) || bayOf(id);
}

/// Where a piece of a panel lies now: one place for what stands at a rib or in a bay, else all that its wood is told
/// by.
std::vector<std::string> pieceNow(const Moved& moved, const Lies& panel, PieceId id) {
  if (int* rib = ribOf(id)) {
    const auto now = moved.rib(panel, *rib, besideRib(id));
    if (!now) return {};
    *rib = now->second;
    return {pieceKey(now->first, id)};
  }
  if (moved.same()) return {pieceKey(panel.number, id)};
  if (int* bay = bayOf(id)) {
    const auto now = moved.rib(panel, panel.firstRib + *bay - 1, true);
    const Lies* there = now ? among(moved.to, now->first) : nullptr;
    if (!there || now->second - there->firstRib + 1 >= static_cast<int>(there->ribs.size())) return {};
    *bay = now->second - there->firstRib + 1;
    return {pieceKey(now->first, id)};
  }
  std::vector<std::string> out;
  for (const Lies& l : those(moved.to, belongs(id.kind))) out.push_back(pieceKey(l.number, id));
  return out;
}

/// What stands behind a prefix; nothing where the key does not begin with it.
std::optional<std::string> behind(const std::string& key, const std::string& prefix) {
  return key.starts_with(prefix) ? std::optional(key.substr(prefix.size())) : std::nullopt;
}

/// Which piece of a panel is recorded there; nothing where it is another panel's, or no piece's.
std::optional<PieceId> pieceOf(const std::string& key, PanelNumber panel) {
  const auto part = behind(key, pieceKey(panel, ""));
  return part ? pieceIdFrom(*part) : std::nullopt;
}

constexpr std::array<std::optional<Hand>, 3> anyHand{std::nullopt, Hand::right, Hand::left};

StepRecord together(const std::vector<const StepRecord*>& parts, std::size_t of) {
  StepRecord out;
  bool done = parts.size() == of;
  out.looked = done;
  for (const StepRecord* p : parts) {
    if (!p->begun.empty() && (out.begun.empty() || p->begun < out.begun)) out.begun = p->begun;
    out.done = std::max(out.done, p->done);
    done = done && !p->done.empty();
    out.minutes += p->minutes;
    out.looked = out.looked && p->looked;
    if (!p->lookedBy.empty()) out.lookedBy = p->lookedBy;
  }
  if (!done) out.done.clear();
  return out;
}

void moveSteps(Records& r, const Moved& moved) {
  std::map<std::string, std::size_t> at;
  for (std::size_t i = 0; i < r.steps.size(); ++i) at[r.steps[i].key] = i;
  const bool whole = moved.to.size() < moved.from.size();
  for (const auto& hand : anyHand) {
    std::map<std::string, std::vector<std::size_t>> done; // by what is done: its records, from the inside outwards
    for (const Lies& l : moved.from)
      for (std::size_t i = 0; i < r.steps.size(); ++i)
        if (const auto what = behind(r.steps[i].key, stepPrefix(l.number, hand))) {
          const Belongs where = belongs(*what); // a join between two that are one now is of neither end
          if ((where == Belongs::toRoot && l.number != moved.from.front().number) ||
              (where == Belongs::toTip && l.number != moved.from.back().number))
            continue;
          done[*what].push_back(i);
        }
    for (const auto& [what, records] : done) {
      const Belongs where = belongs(what);
      // What is done to one of several things, as a surface, is of the panel alone that has it.
      const bool one = where != Belongs::toAll || kindOfStep(what) != what;
      std::vector<const StepRecord*> parts;
      parts.reserve(records.size());
      for (const std::size_t i : records) parts.push_back(&r.steps[i]);
      const StepRecord is = together(parts, one ? parts.size() : moved.from.size());
      for (const Lies& l : those(moved.to, where)) {
        const std::string key = stepPrefix(l.number, hand) + what;
        const auto there = at.find(key);
        StepRecord now = is;
        now.key = key;
        if (there == at.end()) {
          at[key] = r.steps.size();
          r.steps.push_back(std::move(now));
        } else if (whole || (r.steps[there->second].done.empty() && !now.done.empty())) {
          r.steps[there->second] = std::move(now);
        }
      }
    }
  }
}

void moveTicks(Records& r, const Moved& moved) {
  const std::vector<PartTick> all = r.parts;
  std::map<std::pair<std::string, Hand>, std::vector<PartTick>> now;
  for (const Lies& l : moved.from)
    for (const PartTick& tick : all)
      if (behind(tick.key, pieceKey(l.number, ""))) {
        const auto piece = pieceOf(tick.key, l.number);
        std::vector<std::string> pieces = piece ? pieceNow(moved, l, *piece) : std::vector<std::string>{};
        if (moved.same() && pieces.empty()) pieces = {tick.key}; // of no piece that is known: it stays
        for (const std::string& key : pieces) now[{key, tick.hand}].push_back(tick);
      }
  if (moved.same()) // numbers of ribs go on: none is left behind under what is another rib's now
    std::erase_if(r.parts,
                  [&](const PartTick& t) { return t.key.starts_with(pieceKey(moved.from.front().number, "")); });
  for (const auto& [place, ticks] : now) {
    PartTick is{place.first, place.second, true, true, true, 0};
    for (const PartTick& t : ticks)
      is.counted = is.counted && t.counted, is.cut = is.cut && t.cut, is.fitted = is.fitted && t.fitted,
      is.missing = std::max(is.missing, t.missing);
    const auto there = std::find_if(r.parts.begin(), r.parts.end(),
                                    [&](const PartTick& t) { return t.key == is.key && t.hand == is.hand; });
    if (there == r.parts.end())
      r.parts.push_back(std::move(is));
    else
      *there = std::move(is);
  }
}

void moveLooks(Records& r, const Moved& moved) {
  const std::vector<Looked> all = r.looked;
  for (const Looked& one : all)
    for (const Lies& l : moved.from)
      if (const auto kind = behind(one.key, holdKey(l.number, "")))
        for (const Lies& now : moved.to) {
          const auto seen = [&](PanelNumber panel) {
            return std::any_of(all.begin(), all.end(), [&](const Looked& k) { return k.key == holdKey(panel, *kind); });
          };
          const bool everywhere =
              std::all_of(moved.from.begin(), moved.from.end(), [&](const Lies& part) { return seen(part.number); });
          const std::string key = holdKey(now.number, *kind);
          if (everywhere &&
              std::none_of(r.looked.begin(), r.looked.end(), [&](const Looked& k) { return k.key == key; }))
            r.looked.push_back({key});
        }
}

/// A step's key as it is now; as it was where it is of no panel that moved.
std::string stepNow(const std::vector<Moved>& all, const std::string& key) {
  for (const Moved& moved : all)
    for (const Lies& l : moved.from)
      for (const auto& hand : anyHand)
        if (const auto what = behind(key, stepPrefix(l.number, hand))) {
          const auto where = belongs(*what);
          return stepPrefix((where == Belongs::toTip ? moved.to.back() : moved.to.front()).number, hand) + *what;
        }
  return key;
}

std::vector<PanelNumber> numbersOf(const Design& d) {
  std::vector<PanelNumber> out;
  for (const Wing& wing : d.wings)
    for (const PanelDesign& p : wing.panels) out.push_back({wing.number, p.number});
  return out;
}

bool hasPanel(const Design& d, PanelNumber of) {
  const std::vector<PanelNumber> all = numbersOf(d);
  return std::find(all.begin(), all.end(), of) != all.end();
}

} // namespace

Records recordsOfSameWood(Records r, const Design& before, const Design& after) {
  if (const auto was = numbersIn(before), is = numbersIn(after); was != is)
    r.numbersGiven = std::min(
        std::max({r.numbersGiven, *std::ranges::max_element(was) + 1, *std::ranges::max_element(is) + 1}), mostNumber);
  const std::vector<Moved> all = movedBetween(before, after);
  if (all.empty()) return r;
  for (BenchReading& reading : r.readings)
    for (const Moved& moved : all)
      if (const Lies* panel = reading.rib > 0 ? among(moved.from, reading.of()) : nullptr) {
        if (const auto now = moved.rib(*panel, reading.rib, false))
          reading.panel = now->first.panel, reading.rib = now->second;
        break;
      }
  for (const Moved& moved : all) {
    moveTicks(r, moved);
    if (moved.same()) continue;
    moveSteps(r, moved);
    moveLooks(r, moved);
  }
  return r;
}

void decisionsOfSameWood(const Design& before, Design& after) {
  const std::vector<Moved> all = movedBetween(before, after);
  if (all.empty()) return;
  for (OwnStep& s : after.bench.own) s.after = stepNow(all, s.after), s.before = stepNow(all, s.before);
  for (OwnNeed& n : after.bench.needs) n.step = stepNow(all, n.step), n.needs = stepNow(all, n.needs);
  std::vector<Weighed> weighed;
  for (const Weighed& w : after.balance.weighed) {
    std::optional<std::string> now;
    for (const Moved& moved : all)
      for (const Lies& l : moved.from)
        if (const auto piece = pieceOf(w.piece, l.number))
          // What is cut in two, or of two made one, is weighed anew.
          if (const auto pieces = pieceNow(moved, l, *piece);
              pieces.size() == 1 && (moved.from.size() == 1 || ofOnePlace(*piece)))
            now = pieces.front();
    const bool twice = now && std::any_of(weighed.begin(), weighed.end(), [&](const Weighed& other) {
                         return other.piece == *now && other.hand == w.hand;
                       });
    weighed.push_back({now && !twice ? *now : w.piece, w.hand, w.grams});
  }
  after.balance.weighed = std::move(weighed);
  // A step that was left out is left out of all parts.
  std::vector<LeftOutStep> out;
  const auto put = [&](const std::string& key) {
    if (std::none_of(out.begin(), out.end(), [&](const LeftOutStep& s) { return s.key == key; })) out.push_back({key});
  };
  for (const LeftOutStep& s : after.bench.leftOut) {
    bool moved = false;
    for (const Moved& m : all)
      for (const Lies& l : m.from)
        for (const auto& hand : anyHand)
          if (const auto what = behind(s.key, stepPrefix(l.number, hand))) {
            moved = true;
            for (const Lies& now : those(m.to, belongs(*what))) put(stepPrefix(now.number, hand) + *what);
          }
    if (!moved) put(s.key);
  }
  if (out.size() <= static_cast<std::size_t>(mostOrderChanges)) after.bench.leftOut = std::move(out);
}

Design asEdited(const Design& before, Design next) {
  next.records = before.records;
  (void)makeNumbersOwn(next);
  decisionsOfSameWood(before, next);
  next.records = recordsOfSameWood(std::move(next.records), before, next);
  return next;
}

int withoutWood(const Records& r, const Design& before, const Design& after) {
  int out = 0;
  std::vector<Lies> gone;
  const std::vector<Moved> all = movedBetween(before, after);
  for (const Wing& wing : before.wings)
    for (const Lies& l : liesOf(wing)) {
      const bool told = std::any_of(all.begin(), all.end(), [&](const Moved& m) { return among(m.from, l.number); });
      if (!told && !hasPanel(after, l.number)) gone.push_back(l);
    }
  for (const BenchReading& reading : r.readings)
    if (reading.rib > 0 && hasPanel(before, reading.of()) && !hasPanel(after, reading.of())) ++out;
  for (const Lies& l : gone) {
    for (const StepRecord& s : r.steps)
      for (const auto& hand : anyHand) out += s.key.starts_with(stepPrefix(l.number, hand)) ? 1 : 0;
    for (const PartTick& t : r.parts) out += t.key.starts_with(pieceKey(l.number, "")) ? 1 : 0;
  }
  return out;
}

} // namespace eup
