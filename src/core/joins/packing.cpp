#include "core/joins/packing.h"
#include "core/measure/length_text.h"
#include <algorithm>
#include <cmath>
#include <fmt/format.h>

namespace eup {

PackingStack stackFor(double height, const std::vector<double>& given) {
  std::vector<double> stock;
  for (double s : given)
    if (s >= thinnestStock) stock.push_back(s);
  std::sort(stock.rbegin(), stock.rend());
  stock.erase(std::unique(stock.begin(), stock.end()), stock.end());
  if (stock.size() > mostStock) stock.resize(mostStock);
  PackingStack best{{}, height};
  if (height <= 0) return {{}, std::min(height, 0.0)};
  if (stock.empty() || height > stock.front() * highestStack) return best;
  std::vector<double> now;
  // All ways of laying so many pieces, thickest first; the first number of pieces that is near enough is the fewest.
  const auto lay = [&](const auto& more, std::size_t from, double left, int pieces) -> void {
    if (std::abs(left) < std::abs(best.remainder) - 1e-9) best = {now, left};
    if (pieces == 0 || left <= packingWithin) return;
    for (std::size_t i = from; i < stock.size(); ++i) {
      if (left - pieces * stock[i] >= std::abs(best.remainder)) return; // too thin by now to come nearer
      now.push_back(stock[i]);
      more(more, i, left - stock[i], pieces - 1);
      now.pop_back();
    }
  };
  for (int pieces = 1; pieces <= mostPacking && std::abs(best.remainder) > packingWithin; ++pieces)
    lay(lay, 0, height, pieces);
  // A height that is beyond a few pieces is made up of the thickest first.
  if (height > stock.front() * mostPacking) {
    best = {std::vector<double>(static_cast<std::size_t>(height / stock.front()), stock.front()), 0};
    const double left = height - stock.front() * static_cast<double>(best.pieces.size());
    const PackingStack rest = stackFor(left, stock);
    best.pieces.insert(best.pieces.end(), rest.pieces.begin(), rest.pieces.end());
    best.remainder = left <= 0 ? 0 : rest.remainder;
  }
  return best;
}

std::string stackText(const PackingStack& stack, LengthUnit unit) {
  std::string text;
  for (std::size_t i = 0; i < stack.pieces.size();) { // the same one several times: 3 × 10
    std::size_t n = 1;
    while (i + n < stack.pieces.size() && stack.pieces[i + n] == stack.pieces[i]) ++n;
    text +=
        (text.empty() ? "" : " + ") + (n > 1 ? fmt::format("{} × ", n) : "") + formatLength(stack.pieces[i], unit, 2);
    i += n;
  }
  if (std::abs(stack.remainder) <= packingWithin) return text.empty() ? "nothing" : text;
  const std::string rest = formatLength(std::abs(stack.remainder), unit, 1);
  return text + (text.empty() ? "" : ", ") + rest + (stack.remainder > 0 ? " to make up" : " too much");
}

std::vector<TaperedStrip> taperedStrips(const SettingUp& setting) {
  std::vector<TaperedStrip> out;
  const RibSupports& first = setting.ribs.front();
  for (std::size_t k = 0; k < first.at.size(); ++k) {
    std::size_t end = setting.ribs.size(); // the strip ends with its spar
    while (end > 1 && !setting.ribs[end - 1].at[k].there) --end;
    const RibSupports& last = setting.ribs[end - 1];
    TaperedStrip strip;
    strip.line = first.at[k].line;
    strip.root = first.at[k].height;
    strip.tip = last.at[k].height;
    strip.length = last.at[k].t - first.at[k].t;
    if (strip.length <= 0) continue;
    strip.fence = std::atan((strip.root - strip.tip) / strip.length);
    for (std::size_t i = 0; i < end; ++i) {
      if (!setting.ribs[i].at[k].there) continue;
      const double share = (setting.ribs[i].at[k].t - first.at[k].t) / strip.length;
      const double off = setting.ribs[i].at[k].height - (strip.root + (strip.tip - strip.root) * share);
      if (std::abs(off) > std::abs(strip.worstOff)) strip.worstOff = off, strip.worstRib = setting.ribs[i].rib;
    }
    out.push_back(strip);
  }
  return out;
}

} // namespace eup
