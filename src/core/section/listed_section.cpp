#include "core/section/listed_section.h"
#include "core/geometry/polyline.h"
#include <algorithm>
#include <boost/math/interpolators/makima.hpp>
#include <cmath>
#include <fmt/format.h>

namespace eup {
namespace {

constexpr std::size_t fewestPoints = 3; // a surface: nose, one between, tail

Polyline smoothThrough(const Polyline& loop, std::size_t& noseIndex) {
  std::vector<double> s{0}, x, y;
  for (std::size_t i = 0; i < loop.size(); ++i) {
    if (i > 0) s.push_back(s.back() + (loop[i] - loop[i - 1]).norm());
    x.push_back(loop[i].x());
    y.push_back(loop[i].y());
  }
  const std::vector<double> stops = s;
  std::vector<double> again = s;
  const boost::math::interpolators::makima<std::vector<double>> xs(std::move(s), std::move(x));
  const boost::math::interpolators::makima<std::vector<double>> ys(std::move(again), std::move(y));
  const auto fine = std::max<std::size_t>(4, 1500 / loop.size());
  const std::size_t nose = noseIndex;
  Polyline out{loop.front()};
  for (std::size_t i = 1; i < loop.size(); ++i) {
    for (std::size_t k = 1; k < fine; ++k) {
      const double at = stops[i - 1] + (stops[i] - stops[i - 1]) * static_cast<double>(k) / static_cast<double>(fine);
      out.emplace_back(xs(at), ys(at));
    }
    out.push_back(loop[i]);
    if (i == nose) noseIndex = out.size() - 1;
  }
  return out;
}

/// The first place where a surface runs back towards the nose by more than rounding, once it is past x = 0.
std::optional<std::size_t> runsBack(const Polyline& surface) {
  const auto from = lastCrossing(surface, 0.0).value_or(PlaceOn{0, 0}).segment + 1;
  for (std::size_t i = from; i + 1 < surface.size(); ++i)
    if (surface[i + 1].x() < surface[i].x() - 1e-6) return i + 1;
  return std::nullopt;
}

} // namespace

Result<ListedSection> checkedListing(ListedSection listing) {
  for (const auto* surface : {&listing.upper, &listing.lower}) {
    const char* which = surface == &listing.upper ? "upper" : "lower";
    if (surface->size() < fewestPoints || surface->size() > mostPoints)
      return Problem{which,
                     fmt::format("{} points; a surface needs {} to {}", surface->size(), fewestPoints, mostPoints)};
    for (std::size_t i = 0; i < surface->size(); ++i) {
      const Point& p = (*surface)[i];
      if (!std::isfinite(p.x()) || !std::isfinite(p.y()) || std::abs(p.y()) > 1 || p.x() < -0.2 || p.x() > 1.2)
        return Problem{fmt::format("{} point {}", which, i + 1), "lies far off the section"};
    }
    if (surface->front().norm() > 1e-6) return Problem{which, "does not start at the leading edge (0, 0)"};
    if (std::abs(surface->back().x() - 1) > 1e-3) return Problem{which, "does not end at the trailing edge, x = 1"};
    if (const auto at = runsBack(*surface))
      return Problem{fmt::format("{} point {}", which, *at + 1), "runs back towards the nose"};
  }
  Polyline loop(listing.upper.rbegin(), listing.upper.rend());
  loop.insert(loop.end(), listing.lower.begin() + 1, listing.lower.end());
  if (const auto cross = selfCrossing(simplified(loop, 0)))
    return Problem{fmt::format("points {} and {}", cross->first + 1, cross->second + 1),
                   "the outline crosses itself there"};
  if (signedArea(loop) <= 0) return Problem{"", "the upper surface lies below the lower one"};
  return listing;
}

Section makeSection(const ListedSection& listing) {
  Polyline loop(listing.lower.rbegin(), listing.lower.rend());
  std::size_t nose = loop.size() - 1;
  loop.insert(loop.end(), listing.upper.begin() + 1, listing.upper.end());
  Polyline fine = loop;
  if (listing.smooth && loop.size() >= 5) fine = smoothThrough(loop, nose);
  const auto split = fine.begin() + static_cast<std::ptrdiff_t>(nose);
  Polyline lower(fine.begin(), split + 1);
  std::reverse(lower.begin(), lower.end());
  return sectionFromCurves(listing.name, Polyline(split, fine.end()), lower);
}

} // namespace eup
