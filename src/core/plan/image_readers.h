// One reader a kind of scanned picture, each into grey pixels. Used by plan_image.cpp, and by what draws plans.
#pragma once
#include "core/plan/plan_image.h"

namespace eup::image_readers {

struct Picture {
  Raster raster;
  double dpi = 0;
  int pages = 1;
  std::vector<std::string> notes;
};

/// Room for a picture, or why it is refused.
Result<Raster> paper(double width, double height);

Result<Picture> readPng(const std::filesystem::path& path, const Progress& progress);
Result<Picture> readJpeg(const std::filesystem::path& path, const Progress& progress);
Result<Picture> readTiff(const std::filesystem::path& path, const OpenOrder& order, const Progress& progress);

inline const char* stopped = "stopped before all was read";
inline constexpr double mmPerSvgPixel = 25.4 / 96; // CSS: 96 pixels an inch

} // namespace eup::image_readers
