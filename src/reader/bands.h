// How drawn plans come on paper: in bands, at a resolution that fits. Used by what draws them only.
#pragma once
#include "reader/drawn_plans.h"
#include <algorithm>
#include <cairo.h>
#include <cmath>
#include <cstring>
#include <fmt/format.h>
#include <optional>
#include <string>

namespace eup::image_readers {

inline constexpr int bandRows = 1024;
inline constexpr std::size_t largestDrawing = 256u << 20; // bytes of an SVG or DXF file

/// Draws bands of paper with cairo: `draw` is given a context whose unit is a pixel of the whole picture.
template <class F> Result<Done> drawBands(Raster& to, const Progress& progress, F draw) {
  for (int y = 0; y < to.height; y += bandRows) {
    if (progress && !progress(static_cast<double>(y) / to.height)) return Problem{"", stopped};
    const int rows = std::min(bandRows, to.height - y);
    cairo_surface_t* surface = cairo_image_surface_create(CAIRO_FORMAT_RGB24, to.width, rows);
    cairo_t* context = cairo_create(surface);
    cairo_set_source_rgb(context, 1, 1, 1);
    cairo_paint(context);
    cairo_translate(context, 0, -y);
    std::optional<std::string> fault = draw(context);
    cairo_surface_flush(surface);
    if (!fault && cairo_status(context) != CAIRO_STATUS_SUCCESS) fault = cairo_status_to_string(cairo_status(context));
    if (!fault) {
      const unsigned char* data = cairo_image_surface_get_data(surface);
      const int stride = cairo_image_surface_get_stride(surface);
      for (int j = 0; j < rows; ++j)
        for (int x = 0; x < to.width; ++x) {
          std::uint32_t pixel = 0;
          std::memcpy(&pixel, data + static_cast<std::ptrdiff_t>(j) * stride + 4 * static_cast<std::ptrdiff_t>(x), 4);
          const unsigned r = pixel >> 16 & 255, g = pixel >> 8 & 255, b = pixel & 255;
          to.row(y + j)[x] = static_cast<std::uint8_t>((r * 299 + g * 587 + b * 114 + 500) / 1000);
        }
    }
    cairo_destroy(context);
    cairo_surface_destroy(surface);
    if (fault) return Problem{"", *fault};
  }
  return Done{};
}

/// Resolution that is asked for, or less so that the sheet fits.
inline double fitting(double dpi, double wide, double high, std::vector<std::string>& notes) {
  const double most =
      std::min({dpi, mostPixelsAside / wide, mostPixelsAside / high, std::sqrt(mostPixels / (wide * high))});
  if (most >= dpi) return dpi;
  notes.push_back(fmt::format("drawn at {:.0f} pixels an inch, since the sheet is large", most));
  return most * 0.999; // room for rounding up
}

/// Lines, arcs, splines and blocks of a DXF; see drawn_dxf.cpp.
Result<Picture> readDxf(const std::filesystem::path& path, const OpenOrder& order, const Progress& progress);

} // namespace eup::image_readers
