// Sections that come as lists of points.
#pragma once
#include "core/measure/result.h"
#include "core/section/section.h"
#include <string>
#include <string_view>
#include <vector>

namespace eup {

/// A section as listed: both surfaces from the leading edge (0,0) to the trailing edge at x = 1.
struct ListedSection {
  std::string name;
  Polyline upper, lower;
  bool smooth = true; ///< a curve through the points, or straight lines between them
  bool operator==(const ListedSection&) const = default;
};

struct ReadSection {
  ListedSection section;
  std::vector<std::string> mended; ///< what was amiss in the list and how it was put right
};

/// Reads a coordinate list in either open layout: one loop from the trailing edge over the top to the nose and back
/// below, or two blocks (upper, lower), each from the nose, with or without their counts at the head. Copes with
/// comments, tabs, commas, any line ending, percent or fraction of chord, a loop that runs the other way, doubled
/// points and a missing first or last point. Refuses, with the line: what is no number, a curve that crosses itself
/// or runs back, fewer than 3 points a surface, a chord of no length, more than `mostPoints`.
Result<ReadSection> readCoordinates(std::string_view text, std::string_view fallbackName = "section");

inline constexpr std::size_t mostPoints = 4000;

enum class CoordinateLayout { loop, blocks };
/// The points of a section in an open layout, chord fractions to six places: one loop from the trailing edge over the
/// top to the nose and back below, or two blocks from the nose headed by their counts.
std::string coordinatesText(const Section& section, CoordinateLayout layout);

/// Checks a section that was read from elsewhere (a saved design) by the same rules.
Result<ListedSection> checkedListing(ListedSection listing);

/// Through the points by modified Akima interpolation over the length of the chain, or straight between them.
Section makeSection(const ListedSection& listing);

} // namespace eup
