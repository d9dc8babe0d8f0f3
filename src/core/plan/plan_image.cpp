#include "core/plan/plan_image.h"
#include "core/plan/image_readers.h"
#include "core/plan/reading_apart.h"
#include <algorithm>
#include <cmath>
#include <Eigen/LU>
#include <fmt/format.h>
#include <fstream>

namespace eup {

double Raster::at(const Point& p) const {
  const double fx = std::floor(p.x()), fy = std::floor(p.y());
  if (!(fx >= -1 && fy >= -1 && fx < width && fy < height)) return 255;
  const int x = static_cast<int>(fx), y = static_cast<int>(fy);
  const double u = p.x() - fx, v = p.y() - fy;
  const auto pixel = [&](int i, int j) -> double {
    return i < 0 || j < 0 || i >= width || j >= height ? 255 : row(j)[i];
  };
  return (pixel(x, y) * (1 - u) + pixel(x + 1, y) * u) * (1 - v) +
         (pixel(x, y + 1) * (1 - u) + pixel(x + 1, y + 1) * u) * v;
}

PlanImage withHalves(Raster full) {
  PlanImage image;
  image.levels.push_back(std::move(full));
  while (std::max(image.levels.back().width, image.levels.back().height) > 512) {
    const Raster& from = image.levels.back();
    Raster half;
    half.width = std::max(1, from.width / 2);
    half.height = std::max(1, from.height / 2);
    half.grey.resize(static_cast<std::size_t>(half.width) * static_cast<std::size_t>(half.height));
    for (int y = 0; y < half.height; ++y) {
      const std::uint8_t *a = from.row(std::min(2 * y, from.height - 1)),
                         *b = from.row(std::min(2 * y + 1, from.height - 1));
      std::uint8_t* to = half.row(y);
      if (from.width < 2) {
        to[0] = static_cast<std::uint8_t>((a[0] + b[0]) / 2);
        continue;
      }
      // Half the mean, half the darkest: by the mean alone a thin inked line fades into the paper.
      for (std::ptrdiff_t x = 0; x < half.width; ++x) {
        const int p = a[2 * x], q = a[2 * x + 1], r = b[2 * x], s = b[2 * x + 1];
        to[x] = static_cast<std::uint8_t>((p + q + r + s + 4 * std::min({p, q, r, s}) + 4) / 8);
      }
    }
    image.levels.push_back(std::move(half));
  }
  return image;
}

void drawView(const PlanImage& image, const Eigen::Matrix3d& viewToPlan, int width, int height, std::uint8_t* grey,
              std::size_t stride) {
  if (image.levels.empty() || width <= 0 || height <= 0) return;
  const auto planAt = [&](double x, double y) -> Point {
    const Eigen::Vector3d p = viewToPlan * Eigen::Vector3d(x, y, 1);
    return p.head<2>() / p.z();
  };
  const Point middle = planAt(width / 2.0, height / 2.0);
  const double step = std::sqrt(std::max(1e-9, std::abs([&] {
                                           const Point a = planAt(width / 2.0 + 1, height / 2.0) - middle,
                                                       b = planAt(width / 2.0, height / 2.0 + 1) - middle;
                                           return a.x() * b.y() - a.y() * b.x();
                                         }())));
  const int wanted = step > 1 ? static_cast<int>(std::floor(std::log2(step) + 0.35)) : 0;
  const auto level = static_cast<std::size_t>(std::clamp(wanted, 0, static_cast<int>(image.levels.size()) - 1));
  const Raster& raster = image.levels[level];
  // A half's pixel i stands for pixels 2i and 2i + 1 of the one before: its middle lies at 2i + ½.
  const double size = std::pow(2.0, static_cast<double>(level)), shift = (size - 1) / 2;
  Eigen::Matrix3d toLevel;
  toLevel << 1 / size, 0, -shift / size, 0, 1 / size, -shift / size, 0, 0, 1;
  const Eigen::Matrix3d map = toLevel * viewToPlan;
  const bool straight = std::abs(map(2, 0)) < 1e-15 && std::abs(map(2, 1)) < 1e-15;
  for (int y = 0; y < height; ++y) {
    std::uint8_t* out = grey + static_cast<std::size_t>(y) * stride;
    Eigen::Vector3d p = map * Eigen::Vector3d(0, y, 1);
    const Eigen::Vector3d way = map.col(0);
    if (straight) p /= p.z();
    for (int x = 0; x < width; ++x, p += way) {
      const double w = straight ? 1 : 1 / p.z(), px = p.x() * w, py = p.y() * w;
      if (!(px >= 0 && py >= 0 && px < raster.width - 1 && py < raster.height - 1)) continue;
      const int ix = static_cast<int>(px), iy = static_cast<int>(py);
      const int u = static_cast<int>((px - ix) * 64), v = static_cast<int>((py - iy) * 64);
      const std::uint8_t *a = raster.row(iy) + ix, *b = raster.row(iy + 1) + ix;
      const int value = ((a[0] * (64 - u) + a[1] * u) * (64 - v) + (b[0] * (64 - u) + b[1] * u) * v) >> 12;
      if (value < out[x]) out[x] = static_cast<std::uint8_t>(value);
    }
  }
}

Result<PlanImage> openPlanImage(const std::filesystem::path& path, const OpenOrder& order, const Progress& progress) {
  using namespace image_readers;
  const std::string file = path.filename().string();
  std::error_code error;
  if (!std::filesystem::exists(path, error)) return Problem{file, "the file is not there"};
  if (std::filesystem::is_directory(path, error)) return Problem{file, "this is a folder, not a plan"};
  if (!std::filesystem::is_regular_file(path, error)) // reading a device or a pipe may never end
    return Problem{file, "this is a device or a pipe, not a file"};
  std::ifstream in(path, std::ios::binary);
  std::string head(4096, '\0');
  in.read(head.data(), static_cast<std::streamsize>(head.size()));
  head.resize(static_cast<std::size_t>(std::max<std::streamsize>(0, in.gcount())));
  if (head.empty()) return Problem{file, "the file is empty or cannot be read"};
  const std::string_view start = head;
  const auto finish = [&](Result<Picture> read) -> Result<PlanImage> {
    if (!read) return Problem{file, read.problem().text()};
    Picture& p = read.value();
    PlanImage image = withHalves(std::move(p.raster));
    image.dpi = p.dpi;
    image.pages = p.pages;
    image.notes = std::move(p.notes);
    return image;
  };
  using namespace std::string_view_literals;
  if (start.starts_with("\x89PNG"sv)) return finish(readPng(path, progress));
  if (start.starts_with("\xff\xd8\xff"sv)) return finish(readJpeg(path, progress));
  if (start.starts_with("II*\0"sv) || start.starts_with("MM\0*"sv) || start.starts_with("II+\0"sv) ||
      start.starts_with("MM\0+"sv))
    return finish(readTiff(path, order, progress));
  if (start.substr(0, 1024).find("%PDF-") != std::string_view::npos)
    return finish(readApart(Drawn::pdf, path, order, progress));
  if (start.find("<svg") != std::string_view::npos) return finish(readApart(Drawn::svg, path, order, progress));
  if (start.find("SECTION") != std::string_view::npos) return finish(readApart(Drawn::dxf, path, order, progress));
  return Problem{file, "this is no plan that can be read: PNG, JPEG, TIFF, PDF, SVG and DXF are"};
}

} // namespace eup
