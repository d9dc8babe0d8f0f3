// Figures, findings and stations for other programs: JSON and CSV with stable keys (docs/figures.md).
#pragma once
#include "core/measure/finding.h"
#include "core/section/measured.h"
#include <span>
#include <string>

namespace eup {

std::string reportJson(const std::string& wing, std::span<const Figure> figures, std::span<const Finding> findings);
std::string findingsText(std::span<const Finding> findings);
/// What `measure` found, in chord fractions, and the section's points.
std::string sectionJson(const Section& section, const SectionMeasures& measures, double noseRadius);

/// Rows of numbers under named columns, as CSV (RFC 4180, points as decimal marks). An empty cell is no value.
struct Table {
  std::vector<std::string> columns;
  std::vector<std::vector<std::string>> rows;
};
std::string toCsv(const Table& table);

} // namespace eup
