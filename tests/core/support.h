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

/// A panel by its numbers, with a root that is not turned.
inline Panel panelOf(double span, double rootChord, double tipChord, double setback = 0, double washoutDeg = 0,
                     double axis = 0) {
  Panel p;
  p.span = span;
  p.rootChord = rootChord;
  p.tipChord = tipChord;
  p.tipSetback = setback;
  p.washoutDeg = washoutDeg;
  p.washoutAxis = axis;
  return p;
}

/// A bare wing: no sheet, strips, stock or spars, one section.
inline Design bareDesign() {
  Design d;
  d.inner().sheeting.top = d.inner().sheeting.bottom = false;
  d.inner().capStrips.top = d.inner().capStrips.bottom = false;
  d.inner().leadingEdge.kind = LeadingEdgeKind::none;
  d.inner().trailingEdge.kind = TrailingEdgeKind::none;
  d.inner().spars.clear();
  d.inner().join.braces.clear();
  return d;
}

/// A panel cut from foam in skins of 1, with a strip of 6 in front and one of `tail` behind.
inline Design foamDesign(const Panel& panel, double tail) {
  Design d = bareDesign();
  PanelDesign& p = d.inner();
  p.built = Built::foam;
  p.panel = panel;
  p.sheeting.top = p.sheeting.bottom = true, p.sheeting.thickness = 1;
  p.leadingEdge.kind = LeadingEdgeKind::square, p.leadingEdge.width = 6;
  p.trailingEdge.kind = TrailingEdgeKind::wedge, p.trailingEdge.width = tail;
  return d;
}

} // namespace eup::test
