// Plans: opening a large scan, moving about on it, fitting many readings. docs/performance.md has the table.
#include "core/plan/ink.h"
#include "core/plan/judge.h"
#include "core/plan/plan_image.h"
#include <benchmark/benchmark.h>
#include <cstdio>
#include <filesystem>
#include <png.h>
#include <random>
#include <sys/resource.h>

namespace eup {
namespace {

constexpr int wide = 14043, high = 9933; // A0 (1189 × 841 mm) at 300 pixels an inch

/// An A0 scan: rulings on grainy paper, eight greys. Written once.
const std::filesystem::path& scan() {
  static const std::filesystem::path path = [] {
    const auto file = std::filesystem::temp_directory_path() / "euptera-a0.png";
    std::FILE* out = std::fopen(file.c_str(), "wb");
    png_structp png = png_create_write_struct(PNG_LIBPNG_VER_STRING, nullptr, nullptr, nullptr);
    png_infop info = png_create_info_struct(png);
    png_init_io(png, out);
    png_set_IHDR(png, info, wide, high, 8, PNG_COLOR_TYPE_GRAY, PNG_INTERLACE_NONE, PNG_COMPRESSION_TYPE_DEFAULT,
                 PNG_FILTER_TYPE_DEFAULT);
    png_set_compression_level(png, 2);
    png_write_info(png, info);
    std::mt19937 random(1);
    std::vector<png_byte> row(wide);
    for (int y = 0; y < high; ++y) {
      for (int x = 0; x < wide; ++x)
        row[static_cast<std::size_t>(x)] =
            x % 700 < 4 || y % 900 < 4 || (x + y) % 1300 < 5 ? 30 : static_cast<png_byte>(240 + random() % 2 * 8);
      png_write_row(png, row.data());
    }
    png_write_end(png, info);
    png_destroy_write_struct(&png, &info);
    std::fclose(out);
    return file;
  }();
  return path;
}

const PlanImage& image() {
  static const PlanImage opened = std::move(openPlanImage(scan()).value());
  return opened;
}

void openA0Scan(benchmark::State& state) {
  for (auto _ : state) benchmark::DoNotOptimize(openPlanImage(scan()).ok());
  rusage usage{};
  getrusage(RUSAGE_SELF, &usage);
  state.counters["peakMB"] = static_cast<double>(usage.ru_maxrss) / 1024;
}
BENCHMARK(openA0Scan)->Unit(benchmark::kMillisecond)->Iterations(3);

/// One frame of panning a board of 755 × 670 pixels, at a zoom that shows a share of the sheet.
void panA0Scan(benchmark::State& state) {
  const double zoom = static_cast<double>(state.range(0)) / 10;
  std::vector<std::uint8_t> grey(755 * 670);
  double x = 0;
  image();
  for (auto _ : state) {
    std::fill(grey.begin(), grey.end(), 255);
    Eigen::Matrix3d map;
    map << zoom, 0.003, x, -0.003, zoom, 40, 0, 0, 1;
    x = x < 500 ? x + 3 : 0;
    drawView(image(), map, 755, 670, grey.data(), 755);
    benchmark::DoNotOptimize(grey.data());
  }
}
BENCHMARK(panA0Scan)->Arg(3)->Arg(10)->Arg(60)->Arg(180)->Unit(benchmark::kMillisecond);

void snapToInk(benchmark::State& state) {
  image();
  for (auto _ : state) benchmark::DoNotOptimize(snap(image().full(), Point(2103, 905), 14));
}
BENCHMARK(snapToInk)->Unit(benchmark::kMicrosecond);

/// 500 readings: two edges and two spars on 125 ribs, one spar bowed so that knee and bow are tried too.
void judge500Readings(benchmark::State& state) {
  Plan plan;
  PlanSheet s;
  s.width = 20000, s.height = 5000, s.dpi = 254;
  s.lengths = {{"a", {{0, 0}, {10000, 0}}, 1001}, {"b", {{0, 0}, {0, 4000}}, 398}, {"c", {{0, 0}, {3000, 4000}}, 499}};
  plan.sheets.push_back(s);
  std::mt19937 random(1);
  std::normal_distribution<double> noise(0, 1);
  for (int rib = 1; rib <= 125; ++rib)
    for (const auto& [kind, number, y] :
         {std::tuple(ReadingKind::leadingEdge, rib, 500.0), std::tuple(ReadingKind::trailingEdge, rib, 3000.0),
          std::tuple(ReadingKind::spar, 1, 1300.0), std::tuple(ReadingKind::spar, 2, 2200.0)}) {
      const double bow = kind == ReadingKind::spar && number == 2 ? 30.0 * rib * (125 - rib) / 3900.0 : 0;
      plan.readings.push_back(
          {"", kind, 1, Hand::right, number, {{100 + 150.0 * rib + noise(random), y + bow + noise(random)}}});
    }
  for (auto _ : state) benchmark::DoNotOptimize(judge(plan, LengthUnit::mm));
}
BENCHMARK(judge500Readings)->Unit(benchmark::kMillisecond);

} // namespace
} // namespace eup
