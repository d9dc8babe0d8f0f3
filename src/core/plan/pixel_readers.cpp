// Scans and photographs: PNG, JPEG, TIFF, row by row.
#include "core/plan/image_readers.h"
#include <csetjmp>
#include <cstdio>
#include <fmt/format.h>
#include <jpeglib.h>
#include <png.h>
#include <tiffio.h>

namespace eup::image_readers {
namespace {

struct File {
  std::FILE* handle;
  explicit File(const std::filesystem::path& path) : handle(std::fopen(path.c_str(), "rb")) {}
  File(const File&) = delete;
  File& operator=(const File&) = delete;
  ~File() {
    if (handle) std::fclose(handle);
  }
};

bool goesOn(const Progress& progress, int row, int rows) {
  return row % 64 != 0 || !progress || progress(static_cast<double>(row) / rows);
}

constexpr double inchesPerMetre = 1 / 0.0254;

} // namespace

Result<Raster> paper(double width, double height) {
  if (!(width >= 1 && height >= 1)) return Problem{"", "the picture has no size"};
  if (width > mostPixelsAside || height > mostPixelsAside || width * height > mostPixels)
    return Problem{
        "", fmt::format("the picture has {:.0f} × {:.0f} pixels; {} a side and {:.0f} million in all can be opened",
                        width, height, mostPixelsAside, mostPixels / 1e6)};
  Raster r;
  r.width = static_cast<int>(width);
  r.height = static_cast<int>(height);
  r.grey.assign(static_cast<std::size_t>(r.width) * static_cast<std::size_t>(r.height), 255);
  return r;
}

// ---- PNG: the library jumps back on an error, so nothing with a destructor is made between the jump's mark and it.

namespace {

struct PngReading {
  png_structp png = nullptr;
  png_infop info = nullptr;
  std::string cause;
  ~PngReading() { png_destroy_read_struct(&png, &info, nullptr); }
};

void pngFailed(png_structp png, png_const_charp message) {
  static_cast<PngReading*>(png_get_error_ptr(png))->cause = message;
  longjmp(png_jmpbuf(png), 1);
}
void pngWarned(png_structp, png_const_charp) {}

bool pngHeader(PngReading& r, std::FILE* file, png_uint_32* width, png_uint_32* height, int* passes, double* dpi) {
  if (setjmp(png_jmpbuf(r.png))) return false;
  png_init_io(r.png, file);
  png_set_user_limits(r.png, mostPixelsAside, mostPixelsAside);
  png_read_info(r.png, r.info);
  png_set_expand(r.png);
  png_set_strip_16(r.png);
  if (png_get_color_type(r.png, r.info) & PNG_COLOR_MASK_ALPHA || png_get_valid(r.png, r.info, PNG_INFO_tRNS)) {
    png_color_16 white{};
    white.red = white.green = white.blue = white.gray = 255;
    png_set_background_fixed(r.png, &white, PNG_BACKGROUND_GAMMA_SCREEN, 0, 100000);
  }
  png_set_rgb_to_gray_fixed(r.png, PNG_ERROR_ACTION_NONE, -1, -1);
  *passes = png_set_interlace_handling(r.png);
  png_read_update_info(r.png, r.info);
  *width = png_get_image_width(r.png, r.info);
  *height = png_get_image_height(r.png, r.info);
  *dpi = png_get_pixels_per_meter(r.png, r.info) / inchesPerMetre;
  if (png_get_rowbytes(r.png, r.info) != *width) png_error(r.png, "an unusual kind of pixels");
  return true;
}

bool pngRow(PngReading& r, png_bytep row) {
  if (setjmp(png_jmpbuf(r.png))) return false;
  png_read_row(r.png, row, nullptr);
  return true;
}

} // namespace

Result<Picture> readPng(const std::filesystem::path& path, const Progress& progress) {
  const File file(path);
  if (!file.handle) return Problem{"", "the file cannot be read"};
  PngReading r;
  r.png = png_create_read_struct(PNG_LIBPNG_VER_STRING, &r, pngFailed, pngWarned);
  r.info = png_create_info_struct(r.png);
  png_uint_32 width = 0, height = 0;
  int passes = 1;
  Picture picture;
  if (!pngHeader(r, file.handle, &width, &height, &passes, &picture.dpi)) return Problem{"", "damaged PNG: " + r.cause};
  auto raster = paper(width, height);
  if (!raster) return raster.problem();
  picture.raster = std::move(raster.value());
  for (int pass = 0; pass < passes; ++pass)
    for (int y = 0; y < picture.raster.height; ++y) {
      if (!goesOn(progress, y, picture.raster.height)) return Problem{"", stopped};
      if (!pngRow(r, picture.raster.row(y))) {
        if (y == 0 && pass == 0) return Problem{"", "damaged PNG: " + r.cause};
        picture.notes.push_back(fmt::format("the PNG is damaged from row {} of {} on: {}", y + 1, height, r.cause));
        return picture;
      }
    }
  return picture;
}

// ---- JPEG

namespace {

// A picture in many passes is held whole, in coefficients, before its first row: what that may take, and how many
// passes are no attempt to keep the reader busy.
constexpr double mostCoefficientBytes = 4e8;
constexpr int mostPasses = 100;

struct JpegErrors {
  jpeg_error_mgr manager; // first: the library hands back its address
  std::jmp_buf mark;
  char cause[JMSG_LENGTH_MAX];
};

void jpegFailed(j_common_ptr info) {
  auto* errors = reinterpret_cast<JpegErrors*>(info->err);
  errors->manager.format_message(info, errors->cause);
  std::longjmp(errors->mark, 1);
}
void jpegSaid(j_common_ptr) {}

/// Asked by the library while it gathers the passes.
struct JpegWatch {
  jpeg_progress_mgr manager; // first, as above
  const Progress* progress;
  JpegErrors* errors;
};

void jpegGoesOn(j_common_ptr info) {
  const auto* watch = reinterpret_cast<const JpegWatch*>(info->progress);
  const char* cause = nullptr;
  if (info->is_decompressor && reinterpret_cast<j_decompress_ptr>(info)->input_scan_number > mostPasses)
    cause = "more passes than any picture has";
  else if (watch->manager.completed_passes == 0 && *watch->progress && !(*watch->progress)(0))
    cause = stopped;
  if (!cause) return;
  std::snprintf(watch->errors->cause, sizeof watch->errors->cause, "%s", cause);
  std::longjmp(watch->errors->mark, 1);
}

struct JpegReading {
  jpeg_decompress_struct info{};
  JpegErrors errors{};
  JpegWatch watch{};
  bool made = false;
  ~JpegReading() {
    if (made) jpeg_destroy_decompress(&info);
  }
};

bool jpegHeader(JpegReading& r, std::FILE* file) {
  if (setjmp(r.errors.mark)) return false;
  jpeg_create_decompress(&r.info);
  r.made = true;
  jpeg_stdio_src(&r.info, file);
  jpeg_read_header(&r.info, TRUE);
  return true;
}

bool jpegStart(JpegReading& r, const Progress& progress) {
  if (setjmp(r.errors.mark)) return false;
  r.watch.manager.progress_monitor = jpegGoesOn;
  r.watch.progress = &progress;
  r.watch.errors = &r.errors;
  r.info.progress = &r.watch.manager;
  r.info.out_color_space = JCS_GRAYSCALE;
  jpeg_start_decompress(&r.info);
  return true;
}

bool jpegRow(JpegReading& r, JSAMPROW row) {
  if (setjmp(r.errors.mark)) return false;
  jpeg_read_scanlines(&r.info, &row, 1);
  return true;
}

} // namespace

Result<Picture> readJpeg(const std::filesystem::path& path, const Progress& progress) {
  const File file(path);
  if (!file.handle) return Problem{"", "the file cannot be read"};
  JpegReading r;
  r.info.err = jpeg_std_error(&r.errors.manager);
  r.errors.manager.error_exit = jpegFailed;
  r.errors.manager.output_message = jpegSaid;
  if (!jpegHeader(r, file.handle)) return Problem{"", fmt::format("damaged JPEG: {}", r.errors.cause)};
  // Its size is looked at before anything is unpacked.
  const double pixels = static_cast<double>(r.info.image_width) * r.info.image_height;
  if (pixels > mostPixels) return paper(r.info.image_width, r.info.image_height).problem();
  if (jpeg_has_multiple_scans(&r.info) && pixels * r.info.num_components * sizeof(JCOEF) > mostCoefficientBytes)
    return Problem{"", "the JPEG is written in many passes and too large for that: write it in one (baseline)"};
  if (!jpegStart(r, progress)) return Problem{"", fmt::format("damaged JPEG: {}", r.errors.cause)};
  auto raster = paper(r.info.output_width, r.info.output_height);
  if (!raster) return raster.problem();
  Picture picture;
  picture.raster = std::move(raster.value());
  if (r.info.saw_JFIF_marker && r.info.density_unit > 0)
    picture.dpi = r.info.density_unit == 1 ? r.info.X_density : r.info.X_density * 2.54;
  for (int y = 0; y < picture.raster.height; ++y) {
    if (!goesOn(progress, y, picture.raster.height)) return Problem{"", stopped};
    if (!jpegRow(r, picture.raster.row(y))) {
      if (y == 0) return Problem{"", fmt::format("damaged JPEG: {}", r.errors.cause)};
      picture.notes.push_back(fmt::format("the JPEG is damaged from row {} on: {}", y + 1, r.errors.cause));
      return picture;
    }
  }
  if (r.errors.manager.num_warnings > 0)
    picture.notes.push_back("the JPEG is damaged: parts of the picture may be missing");
  return picture;
}

// ---- TIFF

namespace {

thread_local std::string tiffCause;

void tiffFailed(const char* where, const char* format, va_list args) {
  char text[400];
  std::vsnprintf(text, sizeof text, format, args);
  tiffCause = fmt::format("{}{}{}", where ? where : "", where ? ": " : "", text);
}

struct Tiff {
  TIFF* handle;
  explicit Tiff(const std::filesystem::path& path) {
    TIFFSetErrorHandler(tiffFailed);
    TIFFSetWarningHandler(nullptr);
    tiffCause.clear();
    handle = TIFFOpen(path.c_str(), "r");
  }
  Tiff(const Tiff&) = delete;
  Tiff& operator=(const Tiff&) = delete;
  ~Tiff() {
    if (handle) TIFFClose(handle);
  }
  template <class T> T field(std::uint32_t tag, T otherwise) const {
    T value = otherwise;
    return TIFFGetFieldDefaulted(handle, tag, &value) ? value : otherwise;
  }
};

constexpr double bandBytes = 256e6; // most that one strip or tile may take on the way

std::uint8_t greyOf(unsigned r, unsigned g, unsigned b) {
  return static_cast<std::uint8_t>((r * 299 + g * 587 + b * 114 + 500) / 1000);
}

/// Plain rows of bits or bytes, the usual scan: a row at a time whatever the strips.
bool plainRows(const Tiff& t, std::uint16_t bits, std::uint16_t samples, std::uint16_t photometric) {
  const bool contiguous =
      t.field<std::uint16_t>(TIFFTAG_PLANARCONFIG, PLANARCONFIG_CONTIG) == PLANARCONFIG_CONTIG || samples == 1;
  const bool grey = photometric == PHOTOMETRIC_MINISBLACK || photometric == PHOTOMETRIC_MINISWHITE;
  return contiguous && !TIFFIsTiled(t.handle) &&
         ((grey && samples == 1 && (bits == 1 || bits == 8)) ||
          (photometric == PHOTOMETRIC_RGB && bits == 8 && samples == 3));
}

Result<Done> readRows(const Tiff& t, Raster& to, std::uint16_t bits, std::uint16_t samples, std::uint16_t photometric,
                      const Progress& progress) {
  const auto size = TIFFScanlineSize(t.handle);
  const auto needed = (static_cast<std::size_t>(to.width) * samples * bits + 7) / 8;
  if (size < static_cast<tmsize_t>(needed)) return Problem{"", "damaged TIFF: its rows are too short"};
  std::vector<std::uint8_t> line(static_cast<std::size_t>(size));
  const bool inverted = photometric == PHOTOMETRIC_MINISWHITE;
  for (int y = 0; y < to.height; ++y) {
    if (!goesOn(progress, y, to.height)) return Problem{"", stopped};
    if (TIFFReadScanline(t.handle, line.data(), static_cast<std::uint32_t>(y), 0) < 0)
      return Problem{"", fmt::format("damaged TIFF, row {}: {}", y + 1, tiffCause)};
    std::uint8_t* out = to.row(y);
    for (int x = 0; x < to.width; ++x) {
      const auto i = static_cast<std::size_t>(x);
      std::uint8_t v = 0;
      if (bits == 1)
        v = line[i / 8] >> (7 - i % 8) & 1 ? 255 : 0;
      else if (samples == 1)
        v = line[i];
      else
        v = greyOf(line[i * samples], line[i * samples + 1], line[i * samples + 2]);
      out[x] = inverted ? static_cast<std::uint8_t>(255 - v) : v;
    }
  }
  return Done{};
}

/// Anything else by the library's own colours, a strip or tile at a time.
Result<Done> readPieces(const Tiff& t, Raster& to, const Progress& progress) {
  char cause[1024] = "";
  if (!TIFFRGBAImageOK(t.handle, cause)) return Problem{"", fmt::format("this TIFF cannot be shown: {}", cause)};
  const bool tiled = TIFFIsTiled(t.handle);
  std::uint32_t w = static_cast<std::uint32_t>(to.width), h = 0;
  if (tiled) {
    w = t.field<std::uint32_t>(TIFFTAG_TILEWIDTH, 0);
    h = t.field<std::uint32_t>(TIFFTAG_TILELENGTH, 0);
  } else {
    h = std::min(t.field<std::uint32_t>(TIFFTAG_ROWSPERSTRIP, 1), static_cast<std::uint32_t>(to.height));
  }
  if (w == 0 || h == 0 || 4.0 * w * h > bandBytes)
    return Problem{"", "this TIFF is cut into pieces too large to be read: save it as PNG"};
  std::vector<std::uint32_t> piece(static_cast<std::size_t>(w) * h);
  for (std::uint32_t y = 0; y < static_cast<std::uint32_t>(to.height); y += h)
    for (std::uint32_t x = 0; x < static_cast<std::uint32_t>(to.width); x += w) {
      if (progress && !progress(static_cast<double>(y) / to.height)) return Problem{"", stopped};
      const int ok =
          tiled ? TIFFReadRGBATile(t.handle, x, y, piece.data()) : TIFFReadRGBAStrip(t.handle, y, piece.data());
      if (!ok) return Problem{"", fmt::format("damaged TIFF near row {}: {}", y + 1, tiffCause)};
      const std::uint32_t rows = std::min(h, static_cast<std::uint32_t>(to.height) - y),
                          columns = std::min(w, static_cast<std::uint32_t>(to.width) - x);
      for (std::uint32_t j = 0; j < rows; ++j) { // pieces come upside down; a short last strip is filled from its foot
        const std::uint32_t* from = piece.data() + static_cast<std::size_t>(tiled ? h - 1 - j : rows - 1 - j) * w;
        for (std::uint32_t i = 0; i < columns; ++i) {
          const unsigned a = TIFFGetA(from[i]), white = 255 - a;
          to.row(static_cast<int>(y + j))[x + i] =
              greyOf(std::min(255u, TIFFGetR(from[i]) + white), std::min(255u, TIFFGetG(from[i]) + white),
                     std::min(255u, TIFFGetB(from[i]) + white));
        }
      }
    }
  return Done{};
}

} // namespace

Result<Picture> readTiff(const std::filesystem::path& path, const OpenOrder& order, const Progress& progress) {
  const Tiff t(path);
  if (!t.handle) return Problem{"", "damaged TIFF: " + tiffCause};
  Picture picture;
  picture.pages = std::max(1, static_cast<int>(TIFFNumberOfDirectories(t.handle)));
  if (order.page < 1 || order.page > picture.pages || !TIFFSetDirectory(t.handle, static_cast<tdir_t>(order.page - 1)))
    return Problem{"", fmt::format("there is no page {}; the file has {}", order.page, picture.pages)};
  auto raster = paper(t.field<std::uint32_t>(TIFFTAG_IMAGEWIDTH, 0), t.field<std::uint32_t>(TIFFTAG_IMAGELENGTH, 0));
  if (!raster) return raster.problem();
  picture.raster = std::move(raster.value());
  const float resolution = t.field<float>(TIFFTAG_XRESOLUTION, 0);
  const auto unit = t.field<std::uint16_t>(TIFFTAG_RESOLUTIONUNIT, RESUNIT_INCH);
  if (resolution > 0 && resolution < 1e5f && unit != RESUNIT_NONE)
    picture.dpi = static_cast<double>(resolution) * (unit == RESUNIT_CENTIMETER ? 2.54 : 1);
  const auto bits = t.field<std::uint16_t>(TIFFTAG_BITSPERSAMPLE, 1),
             samples = t.field<std::uint16_t>(TIFFTAG_SAMPLESPERPIXEL, 1),
             photometric = t.field<std::uint16_t>(TIFFTAG_PHOTOMETRIC, PHOTOMETRIC_MINISBLACK);
  const auto done = plainRows(t, bits, samples, photometric)
                        ? readRows(t, picture.raster, bits, samples, photometric, progress)
                        : readPieces(t, picture.raster, progress);
  if (!done) return done.problem();
  return picture;
}

} // namespace eup::image_readers
