#include "core/wing/as_read.h"
#include "core/bench/progress.h"
#include "core/measure/units.h"
#include "core/wing/run_over.h"
#include "core/wing/strips.h"
#include <algorithm>
#include <cmath>
#include <fmt/format.h>
#include <map>
#include <tuple>

namespace eup {
namespace {

/// Readings that belong together were taken within so many minutes: an evening at the bench.
constexpr double session = 6 * 60;

/// The last session's, and those before; a reading without a time that can be read belongs to the last.
struct Sessions {
  std::vector<const BenchReading*> last, before;
};
Sessions sessionsOf(const std::vector<const BenchReading*>& all) {
  std::optional<Moment> newest;
  for (const BenchReading* r : all)
    if (const auto at = momentFromText(r->at); at && (!newest || minutesBetween(*newest, *at) > 0)) newest = at;
  Sessions out;
  std::optional<Moment> newestBefore;
  for (const BenchReading* r : all) {
    const auto at = momentFromText(r->at);
    if (!at || !newest || minutesBetween(*at, *newest) <= session)
      out.last.push_back(r);
    else if (!newestBefore || minutesBetween(*newestBefore, *at) > 0)
      newestBefore = at;
  }
  for (const BenchReading* r : all) {
    const auto at = momentFromText(r->at);
    if (at && newest && minutesBetween(*at, *newest) > session && minutesBetween(*at, *newestBefore) <= session)
      out.before.push_back(r);
  }
  return out;
}

const Rib* ribOf(const TrueWing& aircraft, const BenchReading& r) {
  const TruePanel* panel = panelRead(aircraft, r);
  if (!panel) return nullptr;
  for (const Rib& rib : panel->frame.ribs)
    if (rib.number == r.rib) return &rib;
  return nullptr;
}

/// None is surer than a thousandth of what is usual: no instrument is, and no sum loses the others beside it.
double doubtOf(const BenchReading& r) {
  const double usual = usualDoubt(r.kind);
  return r.doubt > 0 ? std::max(r.doubt, usual / 1000) : usual;
}

std::vector<Sample> samplesOf(const TrueWing& aircraft, const std::vector<const BenchReading*>& readings) {
  std::vector<Sample> out;
  out.reserve(readings.size());
  for (const BenchReading* r : readings) {
    const Rib* rib = ribOf(aircraft, *r);
    const TruePanel* panel = panelRead(aircraft, *r);
    const double t = std::clamp(rib->t(), 0.0, panel->shape.loft.span());
    // The chord line's angle nose up is what the washout takes of it.
    out.push_back(
        {twistPlace(*panel, t), degToRad(r->value) + panel->shape.loft.frameAt(t).washout, degToRad(doubtOf(*r))});
  }
  return out;
}

} // namespace

double usualDoubt(ReadKind kind) {
  switch (kind) {
  case ReadKind::incidence:
    return 0.15;
  case ReadKind::rise:
    return 0.5;
  case ReadKind::straightedge:
  case ReadKind::notch:
    return 0.1;
  case ReadKind::bow:
    return 0.3;
  case ReadKind::mass:
    return 0.1;
  case ReadKind::balance:
    break;
  }
  return 1;
}

bool isOfRib(ReadKind kind) {
  return kind != ReadKind::mass && kind != ReadKind::balance;
}

double doubtOfMean(ReadKind kind, double scatter) {
  constexpr double own = 1.0 / 3; // of the usual doubt: it lies as one lays it
  return std::max(scatter, usualDoubt(kind) * own);
}

const char* unitOf(ReadKind kind) {
  return kind == ReadKind::incidence ? "°" : kind == ReadKind::mass ? "g" : "mm";
}

const TruePanel* panelRead(const TrueWing& aircraft, const BenchReading& r) {
  for (const WholeWing& wing : aircraft.of(r.hand).wings)
    for (const TruePanel& p : wing.panels)
      if (p.design.wingNumber == r.wing && (!isOfRib(r.kind) || p.design.number == r.panel))
        return r.hand == Hand::left && !wing.mirrored ? nullptr : &p;
  return nullptr;
}

std::string placeRead(const TrueWing& aircraft, const BenchReading& r) {
  const TruePanel* panel = panelRead(aircraft, r);
  const bool other = panel && panel->design.id.wing > 0;
  const std::string wing =
      other ? aircraft.design.wings[static_cast<std::size_t>(panel->design.id.wing)].name + ", " : "";
  if (r.rib == 0) return panel ? wing + "half wing" : "removed wing";
  return panel ? fmt::format("{}R{}, panel {}", wing, r.rib, panel->design.id.panel + 1)
               : fmt::format("R{}, removed panel", r.rib);
}

PanelState stateOf(const TrueWing& aircraft, PanelId id, Hand hand) {
  const auto& records = aircraft.design.records.steps;
  const std::string prefix = stepPrefix(aircraft.at(id).design.lasting(),
                                        aircraft.wing(id.wing).mirrored ? std::optional(hand) : std::nullopt);
  const auto done = [&](const char* step) {
    const StepRecord* r = recordOf(records, prefix + step);
    return r && !r->done.empty();
  };
  if (done("skinTop") || done("cover") || done("clothTop") || done("clothBelow")) return PanelState::closed;
  if (aircraft.at(id).design.built != Built::ribs) return PanelState::open;
  const BuiltAsOne with = builtWith(aircraft.of(hand).wing(id.wing), id.panel);
  const StepRecord* off = recordOf(records, boardPrefix(aircraft, id.wing, with, hand) + "off");
  return off && !off->done.empty() ? PanelState::open : PanelState::onBoard;
}

double twistPlace(const TruePanel& panel, double t) {
  const PanelLoft& loft = panel.shape.loft;
  return t * loft.frameAt(loft.span()).chord / loft.frameAt(t).chord;
}

double placeOfTwist(const TruePanel& panel, double place) {
  double low = 0, high = panel.shape.loft.span(); // it grows outwards
  for (int i = 0; i < 50; ++i) {
    const double middle = (low + high) / 2;
    (twistPlace(panel, middle) < place ? low : high) = middle;
  }
  return (low + high) / 2;
}

std::vector<EndsRead> endsRead(const TrueWing& aircraft, int wing) {
  std::vector<EndsRead> out;
  for (const Hand hand : {Hand::right, Hand::left}) {
    std::vector<const BenchReading*> all;
    for (const BenchReading& r : aircraft.design.records.readings)
      if (r.kind == ReadKind::incidence && r.hand == hand && ribOf(aircraft, r) &&
          panelRead(aircraft, r)->design.id.wing == wing)
        all.push_back(&r);
    std::map<int, std::vector<Sample>> ribs;
    std::map<int, double> decided;
    for (const BenchReading* r : sessionsOf(all).last) {
      const TruePanel* panel = panelRead(aircraft, *r);
      ribs[r->rib].push_back({0, degToRad(r->value), degToRad(doubtOf(*r))});
      decided[r->rib] =
          panel->shape.loft.frameAt(std::clamp(ribOf(aircraft, *r)->t(), 0.0, panel->shape.loft.span())).washout;
    }
    if (ribs.size() < 2) continue;
    const auto in = meanOf(ribs.begin()->second), far = meanOf(ribs.rbegin()->second);
    const int inner = ribs.begin()->first, outer = ribs.rbegin()->first;
    out.push_back(
        {hand, inner, outer, in->mean - far->mean, std::hypot(in->doubt, far->doubt), decided[outer] - decided[inner]});
  }
  return out;
}

std::vector<TwistRead> twistsRead(const TrueWing& aircraft) {
  std::map<std::tuple<int, int, Hand>, std::vector<const BenchReading*>> places;
  for (const BenchReading& r : aircraft.design.records.readings)
    if (r.kind == ReadKind::incidence && ribOf(aircraft, r)) {
      const PanelId id = panelRead(aircraft, r)->design.id;
      places[{id.wing, id.panel, r.hand}].push_back(&r);
    }
  std::vector<TwistRead> out;
  for (const auto& [place, all] : places) {
    const auto& [wing, panel, hand] = place;
    const Sessions sessions = sessionsOf(all);
    TwistRead read;
    read.panel = {wing, panel}, read.hand = hand;
    read.samples = samplesOf(aircraft, sessions.last);
    const auto line = lineThrough(read.samples);
    if (!line) continue;
    const double span = aircraft.of(hand).at(read.panel).shape.loft.span();
    read.error = *line, read.twist = line->slope * span, read.doubt = line->slopeDoubt() * span;
    if (const auto earlier = lineThrough(samplesOf(aircraft, sessions.before))) read.before = earlier->slope * span;
    for (const BenchReading* r : sessions.last) read.ribs.push_back(r->rib);
    std::sort(read.ribs.begin(), read.ribs.end());
    read.ribs.erase(std::unique(read.ribs.begin(), read.ribs.end()), read.ribs.end());
    out.push_back(std::move(read));
  }
  return out;
}

std::vector<RibRead> ribsRead(const TrueWing& aircraft, ReadKind kind) {
  std::map<std::tuple<int, int, int, Hand>, std::vector<const BenchReading*>> places;
  for (const BenchReading& r : aircraft.design.records.readings) {
    if (r.kind != kind) continue;
    if (isOfRib(kind) ? !ribOf(aircraft, r) : !panelRead(aircraft, r)) continue;
    const PanelId id = panelRead(aircraft, r)->design.id;
    places[{id.wing, id.panel, isOfRib(kind) ? r.rib : 0, r.hand}].push_back(&r);
  }
  std::vector<RibRead> out;
  for (const auto& [place, all] : places) {
    const auto& [wing, panel, rib, hand] = place;
    std::vector<Sample> samples;
    for (const BenchReading* r : sessionsOf(all).last) samples.push_back({0, r->value, doubtOf(*r)});
    if (const auto mean = meanOf(samples)) out.push_back({{wing, panel}, hand, rib, *mean});
  }
  return out;
}

std::vector<std::size_t> withoutPlace(const TrueWing& aircraft) {
  std::vector<std::size_t> out;
  const auto& all = aircraft.design.records.readings;
  for (std::size_t i = 0; i < all.size(); ++i)
    if (isOfRib(all[i].kind) ? !ribOf(aircraft, all[i]) : !panelRead(aircraft, all[i])) out.push_back(i);
  return out;
}

std::optional<RollRead> rollRead(const WholeWing& wing, const std::vector<TwistRead>& twists, int number) {
  if (!wing.mirrored) return std::nullopt;
  const auto of = [&](int panel, Hand hand) -> const TwistRead* {
    for (const TwistRead& t : twists)
      if (t.panel.wing == number && t.panel.panel == panel && t.hand == hand) return &t;
    return nullptr;
  };
  double turns = 0, damps = 0, moves = 0, doubt = 0, inner = 0;
  bool both = false;
  for (std::size_t k = 0; k < wing.panels.size(); ++k) {
    const TruePanel& p = wing.panels[k];
    const TwistRead *right = of(static_cast<int>(k), Hand::right), *left = of(static_cast<int>(k), Hand::left);
    const bool read = right && left;
    both = both || read;
    const double slope = read ? right->error.slope - left->error.slope : 0,
                 slopeDoubt = read ? std::hypot(right->error.slopeDoubt(), left->error.slopeDoubt()) : 0;
    const double span = p.shape.loft.span();
    turns += overStrips(p, [&](double t, double y) { return (inner + slope * twistPlace(p, t)) * y; });
    damps += dampingOf(p);
    moves += rollingOf(p, [](const SurfaceMade&) { return 1.0; });
    const double here = overStrips(p, [&](double t, double y) { return twistPlace(p, t) * y; });
    doubt += std::pow(here * slopeDoubt, 2);
    inner += slope * span;
  }
  if (!both || damps <= 0) return std::nullopt;
  RollRead out;
  constexpr double metre = 1000;
  out.perMetre = turns / (2 * damps) * metre;
  if (moves > 0) out.aileron = turns / (2 * moves);
  out.doubtShare = turns != 0 ? std::sqrt(doubt) / std::abs(turns) : 0;
  return out;
}

} // namespace eup
