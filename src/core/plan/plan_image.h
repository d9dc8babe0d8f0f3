// A plan as it looks: grey pixels, whatever kind of file they came from, in sizes halved again and again so that any
// zoom is drawn from about as many pixels as the screen has.
#pragma once
#include "core/geometry/point.h"
#include "core/measure/progress.h"
#include "core/measure/result.h"
#include <chrono>
#include <cstdint>
#include <Eigen/Core>
#include <filesystem>
#include <string>
#include <vector>

namespace eup {

struct Raster {
  int width = 0, height = 0;
  std::vector<std::uint8_t> grey; ///< rows from the top; 0 ink, 255 paper

  const std::uint8_t* row(int y) const {
    return grey.data() + static_cast<std::size_t>(y) * static_cast<std::size_t>(width);
  }
  std::uint8_t* row(int y) { return grey.data() + static_cast<std::size_t>(y) * static_cast<std::size_t>(width); }
  /// Between pixels by straight lines; a pixel's middle lies at its whole number. 255 outside.
  double at(const Point& p) const;
};

struct PlanImage {
  std::vector<Raster> levels; ///< full size first, then halves of the one before
  double dpi = 0;             ///< 0 when the file does not say
  int pages = 1;
  std::vector<std::string> notes; ///< what could not be shown

  const Raster& full() const { return levels.front(); }
};

/// 32 000 pixels a side and 400 million in all: an A0 sheet at 600 pixels an inch, half a gigabyte with its halves.
inline constexpr int mostPixelsAside = 32000;
inline constexpr double mostPixels = 4e8;
inline constexpr double mostDpi = 100000; ///< that is kept: a file may say what it likes

struct OpenOrder {
  int page = 1;
  double vectorDpi = 150; ///< resolution that PDF, SVG and DXF are drawn at
  /// How long a drawn plan may be silent: a band of a heavy sheet takes some seconds.
  std::chrono::seconds patience{60};
};

/// PNG, JPEG, TIFF, a page of a PDF, SVG, DXF; told apart by their first bytes. The full picture is held once, a row or
/// band at a time on the way. Refuses with the file's name and the cause; "stopped" when `progress` says so.
Result<PlanImage> openPlanImage(const std::filesystem::path& path, const OpenOrder& order = {},
                                const Progress& progress = {});

/// The halves of a full-size raster.
PlanImage withHalves(Raster full);

/// The plan as seen: for each of width × height view pixels, the grey of the plan at `viewToPlan` · (x, y, 1), darker
/// of it and what `grey` holds. Drawn from the level whose pixels are nearest in size.
void drawView(const PlanImage& image, const Eigen::Matrix3d& viewToPlan, int width, int height, std::uint8_t* grey,
              std::size_t stride);

} // namespace eup
