// PDF, SVG and DXF into grey pixels, by the libraries that know them.
#pragma once
#include "core/plan/reading_apart.h"

namespace eup::image_readers {

Result<Picture> drawPlan(Drawn kind, const std::filesystem::path& path, const OpenOrder& order,
                         const Progress& progress);

} // namespace eup::image_readers
