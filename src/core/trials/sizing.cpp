#include "core/trials/sizing.h"
#include "core/parts/panel_parts.h"
#include <algorithm>
#include <map>
#include <tuple>

namespace eup {
namespace {

const SparLine& lineOf(const TruePanel& panel, int index) {
  return panel.frame.spars[static_cast<std::size_t>(index)];
}

double depthAt(const SparLine& line, double t) {
  return line.upperSeat.at(t).y() - line.lowerSeat.at(t).y();
}

/// The least reserve of the spar in all bays of a panel whose decisions are changed.
std::optional<double> leastReserve(const TruePanel& panel, const PanelBrief& changed,
                                   const std::vector<LoadCase>& loads, int index) {
  std::optional<double> least;
  for (const SparBay& bay : bayChecks(changed, panel.shape.loft, panel.frame, panel.strength.skin, loads, index))
    for (const BayCheck& c : bay.checks)
      if (c.ofSpar()) least = std::min(least.value_or(c.reserve()), c.reserve());
  return least;
}

/// Whether the caps leave some depth between them, at both ends.
bool fits(const SparLine& line, double top, double bottom) {
  constexpr double most = 0.8;
  return top + bottom <= most * std::min(depthAt(line, 0), depthAt(line, line.end));
}

void addCaps(const SizingOrder& order, const std::vector<double>& stock, const SparLine& line, const Spar& given,
             std::vector<Spar>& to) {
  const std::vector<double> none{0};
  const std::vector<double>&tops = given.top.fitted ? stock : none, &bottoms = given.bottom.fitted ? stock : none;
  for (const std::string& wood : order.materials)
    for (const double width : stock)
      for (const double top : tops)
        for (const double bottom : bottoms) {
          if (!fits(line, top, bottom)) continue;
          for (const double tip : stock) {
            if (tip > width || (tip < width && !order.mayTaper)) continue;
            for (const double step : {0.0, 0.25, 0.5}) {
              if (step > 0 && (!order.mayStep || tip < width || !fits(line, 2 * top, 2 * bottom))) continue;
              Spar s = given;
              for (Cap* cap : {&s.top, &s.bottom}) {
                const double depth = cap == &s.top ? top : bottom;
                if (!cap->fitted) continue;
                cap->shape = CapShape::strip;
                cap->width = width, cap->depth = cap->tipDepth = depth, cap->tipWidth = tip;
                cap->tapers = tip < width, cap->changes = false, cap->material = wood;
                cap->doubled = step > 0;
                if (cap->doubled) cap->doubledTo = step, cap->doubler = depth;
              }
              to.push_back(std::move(s));
            }
          }
        }
}

std::vector<Spar> candidates(const SizingOrder& order, const SparLine& line, const Spar& given) {
  std::vector<double> stock;
  for (const double s : order.stock)
    if (s >= 0.3 && s <= 200) stock.push_back(s);
  std::sort(stock.begin(), stock.end());
  stock.erase(std::unique(stock.begin(), stock.end()), stock.end());
  std::vector<Spar> out;
  if (given.kind == SparKind::fullDepth) {
    for (const std::string& wood : order.materials)
      for (const double sheet : stock) {
        Spar s = given;
        s.sheet = sheet, s.sheetMaterial = wood;
        out.push_back(std::move(s));
      }
    return out;
  }
  const auto many = [&](double n) {
    return static_cast<double>(order.materials.size()) * n * n * n * ((n + 1) / 2 + (order.mayStep ? 2 : 0));
  };
  while (stock.size() > 1 && many(static_cast<double>(stock.size())) > static_cast<double>(mostSizes)) stock.pop_back();
  addCaps(order, stock, line, given, out);
  return out;
}

} // namespace

double gramsOf(const TruePanel& panel, int index, const Spar& spar) {
  return sparGrams(spar, lineOf(panel, index), panel.design.tables);
}

std::optional<double> reserveOf(const TruePanel& panel, const std::vector<LoadCase>& loads, int index,
                                const Spar& spar) {
  PanelBrief changed = panel.design;
  changed.spars[static_cast<std::size_t>(index)] = spar;
  return leastReserve(panel, changed, loads, index);
}

std::vector<SparSize> sparSizes(const TruePanel& panel, const std::vector<LoadCase>& loads, const SizingOrder& order,
                                std::size_t many, const Progress& progress) {
  const auto k = static_cast<std::size_t>(order.spar);
  std::vector<SparSize> all;
  for (Spar& s : candidates(order, panel.frame.spars.at(k), panel.design.spars.at(k))) {
    const double grams = gramsOf(panel, order.spar, s);
    all.push_back({std::move(s), grams, 0});
  }
  std::stable_sort(all.begin(), all.end(), [](const SparSize& a, const SparSize& b) { return a.grams < b.grams; });
  // Of the same depths and wood, what is no wider anywhere than one that failed fails too.
  std::map<std::tuple<std::string, double, double, double>, std::vector<std::pair<double, double>>> failed;
  PanelBrief changed = panel.design;
  std::vector<SparSize> out;
  std::size_t looked = 0;
  for (SparSize& c : all) {
    constexpr std::size_t often = 64;
    if (progress && looked++ % often == 0 && !progress(static_cast<double>(looked) / static_cast<double>(all.size())))
      break;
    // All as light as the last one that is told are looked at, so that the stronger of equals is not missed.
    if (out.size() >= many && c.grams > out[many - 1].grams + 1e-9) break;
    const Cap& cap = c.spar.top.fitted ? c.spar.top : c.spar.bottom;
    const bool caps = c.spar.kind == SparKind::caps;
    auto& narrower = failed[{caps ? cap.material : c.spar.sheetMaterial, caps ? c.spar.top.depth : 0,
                             caps ? c.spar.bottom.depth : 0, caps && cap.doubled ? cap.doubledTo : 0}];
    const std::pair<double, double> wide = caps ? std::pair(cap.width, cap.tipWidth) : std::pair(c.spar.sheet, 0.0);
    if (std::any_of(narrower.begin(), narrower.end(), [&](const std::pair<double, double>& f) {
          return wide.first <= f.first && wide.second <= f.second;
        }))
      continue;
    changed.spars[k] = c.spar;
    c.reserve = leastReserve(panel, changed, loads, order.spar).value_or(0);
    if (c.reserve >= order.reserve)
      out.push_back(std::move(c));
    else
      narrower.push_back(wide);
  }
  std::stable_sort(out.begin(), out.end(), [](const SparSize& a, const SparSize& b) {
    return std::abs(a.grams - b.grams) > 1e-9 ? a.grams < b.grams : a.reserve > b.reserve;
  });
  if (out.size() > many) out.resize(many);
  return out;
}

} // namespace eup
