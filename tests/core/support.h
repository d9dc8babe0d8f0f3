// What several core tests share.
#pragma once
#include "core/work/true_wing.h"
#include <filesystem>
#include <fstream>
#include <gtest/gtest.h>
#include <sstream>

namespace eup::test {

/// The wing of a design that is known to be possible.
inline TrueWing wingOf(const Design& design) {
  auto result = work(design);
  if (auto* findings = std::get_if<std::vector<Finding>>(&result)) {
    ADD_FAILURE() << "impossible: " << (findings->empty() ? "" : findings->front().what);
    return std::get<TrueWing>(work(Design{}));
  }
  return std::get<TrueWing>(std::move(result));
}

inline double figureOf(const TrueWing& wing, const std::string& key) {
  const Figure* f = wing.figure(key);
  EXPECT_NE(f, nullptr) << key;
  return f ? f->value : 0;
}

inline bool hasFinding(const std::vector<Finding>& findings, std::string_view key) {
  return std::any_of(findings.begin(), findings.end(), [&](const Finding& f) { return f.key == key; });
}

inline std::string slurp(const std::filesystem::path& path) {
  std::ifstream in(path, std::ios::binary);
  std::stringstream all;
  all << in.rdbuf();
  return all.str();
}

/// A folder of its own, gone afterwards.
struct ScratchFolder {
  std::filesystem::path path;
  ScratchFolder() {
    std::string pattern = (std::filesystem::temp_directory_path() / "euptera-test-XXXXXX").string();
    path = mkdtemp(pattern.data());
  }
  ScratchFolder(const ScratchFolder&) = delete;
  ScratchFolder& operator=(const ScratchFolder&) = delete;
  ~ScratchFolder() {
    std::error_code ignored;
    std::filesystem::remove_all(path, ignored);
  }
};

/// A bare wing: no sheet, strips, stock or spars, one section.
inline Design bareDesign() {
  Design d;
  d.sheeting.top = d.sheeting.bottom = false;
  d.capStrips.top = d.capStrips.bottom = false;
  d.leadingEdge.kind = LeadingEdgeKind::none;
  d.trailingEdge.kind = TrailingEdgeKind::none;
  d.spars.clear();
  d.join.brace = false;
  return d;
}

} // namespace eup::test
