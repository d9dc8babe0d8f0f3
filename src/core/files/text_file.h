// Reading and writing whole files safely: a size limit on the way in, all or nothing on the way out.
#pragma once
#include "core/measure/result.h"
#include <cstddef>
#include <filesystem>
#include <string>
#include <string_view>

namespace eup {

/// Larger than any file of ours, with a copy of a plan in it, by a wide margin; a bigger one is not ours.
inline constexpr std::size_t largestTextFile = 64u << 20;

/// The whole file, or why not (missing, a folder, not allowed, over `most` bytes).
Result<std::string> readTextFile(const std::filesystem::path& path, std::size_t most = largestTextFile);

/// Whether a link in the target's place is followed: a person's own file may be one; in a folder of exports a link must
/// not lead out of it, and is replaced.
enum class Links { followed, replaced };

/// Writes beside the target under a temporary name, flushes to disk, reads that back, then renames. On any failure
/// (read-only folder, full disk) the old file is untouched and the temporary one is gone. A file that is marked
/// read-only is refused. A file system that cannot flush or keep rights is written to all the same, with a note.
Result<Done> writeFileAtomically(const std::filesystem::path& path, std::string_view contents,
                                 Links links = Links::followed);

/// Removes what saves that were killed half way left beside a file: temporary names of it that are older than some
/// minutes.
void clearKilledSaves(const std::filesystem::path& path);

} // namespace eup
