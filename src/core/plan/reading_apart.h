// PDF, SVG and DXF are drawn by a program of our own beside this one: a file can be made so that drawing it never ends,
// takes all memory or ends the program that draws it, and only a program apart can be ended from outside.
#pragma once
#include "core/plan/image_readers.h"

namespace eup::image_readers {

enum class Drawn { pdf, svg, dxf };

inline constexpr const char* readerName = "euptera-plan-reader";
/// More than the largest sheet takes while it is drawn: its pixels, a band of them, and what the file holds.
inline constexpr std::size_t mostReaderMemory = 2048u << 20;

/// The picture as the reader beside this program draws it. It is ended when `progress` says so (looked at twenty times
/// a second), when nothing came from it for `order.patience`, or when it holds more than `mostReaderMemory`.
/// Refuses with the cause, also when the reader ended by itself or is not there.
Result<Picture> readApart(Drawn kind, const std::filesystem::path& path, const OpenOrder& order,
                          const Progress& progress);

/// The other end: draws what the arguments name, tells how far it is and then the picture or the fault on `out`.
using Draw = Result<Picture> (*)(Drawn, const std::filesystem::path&, const OpenOrder&, const Progress&);
int answerApart(int argc, const char* const* argv, int out, Draw draw);

} // namespace eup::image_readers
