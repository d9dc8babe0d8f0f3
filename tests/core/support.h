// What several core tests share.
#pragma once
#include "core/drawing/wing_drawings.h"
#include "core/files/json.h"
#include "core/report/told.h"
#include <filesystem>
#include <fstream>
#include <gtest/gtest.h>
#include <sstream>

namespace eup::test {

/// The wing of a design that is known to be possible.
TrueWing wingOf(const Design& design);

/// All panels of that wing, as they are drawn. It borrows them.
inline DrawnWing drawn(const TrueWing& aircraft, int wing = 0) {
  return eup::drawn(aircraft.wing(wing));
}

double figureOf(const TrueWing& wing, const std::string& key);

bool hasFinding(const std::vector<Finding>& findings, std::string_view key);

std::string slurp(const std::filesystem::path& path);

/// What must be JSON.
nlohmann::json jsonOf(const std::string& text);

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

/// Of four or five digits that are known to be good.
Section naca(const char* digits);

/// A panel by its numbers, with a root that is not turned.
Panel panelOf(double span, double rootChord, double tipChord, double setback = 0, double washoutDeg = 0,
              double axis = 0);

/// A bare wing: no sheet, strips, stock or spars, one section.
Design bareDesign();

/// A panel cut from foam in skins of 1, with a strip of 6 in front and one of `tail` behind.
Design foamDesign(const Panel& panel, double tail);

} // namespace eup::test
