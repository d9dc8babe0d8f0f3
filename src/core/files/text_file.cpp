#include "core/files/text_file.h"
#include <cerrno>
#include <cstring>
#include <fcntl.h>
#include <fmt/format.h>
#include <sys/stat.h>
#include <unistd.h>
#include <vector>

namespace eup {
namespace {

Problem systemProblem(const std::filesystem::path& path, const char* doing) {
  return Problem{path.string(), fmt::format("{}: {}", doing, std::strerror(errno))};
}

/// A file descriptor that closes itself.
struct Descriptor {
  int fd = -1;
  explicit Descriptor(int opened) : fd(opened) {}
  Descriptor(const Descriptor&) = delete;
  Descriptor& operator=(const Descriptor&) = delete;
  ~Descriptor() {
    if (fd >= 0) ::close(fd);
  }
  int release() { return std::exchange(fd, -1); }
};

bool writeAll(int fd, std::string_view contents) {
  while (!contents.empty()) {
    const ssize_t n = ::write(fd, contents.data(), contents.size());
    if (n < 0 && errno == EINTR) continue;
    if (n < 0) return false;
    contents.remove_prefix(static_cast<std::size_t>(n));
  }
  return true;
}

void syncFolder(const std::filesystem::path& folder) {
  const Descriptor d(::open(folder.c_str(), O_RDONLY | O_DIRECTORY | O_CLOEXEC));
  if (d.fd >= 0) ::fsync(d.fd); // best effort: some file systems cannot
}

} // namespace

Result<std::string> readTextFile(const std::filesystem::path& path, std::size_t most) {
  // Not blocking: opening a pipe must not hang the window.
  const Descriptor d(::open(path.c_str(), O_RDONLY | O_CLOEXEC | O_NONBLOCK));
  if (d.fd < 0) return systemProblem(path, "cannot be opened");
  struct stat info {};
  if (::fstat(d.fd, &info) != 0) return systemProblem(path, "cannot be looked at");
  if (!S_ISREG(info.st_mode)) return Problem{path.string(), "is not a file"};
  std::string text;
  std::vector<char> block(1 << 16);
  for (;;) {
    const ssize_t n = ::read(d.fd, block.data(), block.size());
    if (n < 0 && errno == EINTR) continue;
    if (n < 0) return systemProblem(path, "cannot be read");
    if (n == 0) return text;
    text.append(block.data(), static_cast<std::size_t>(n));
    if (text.size() > most)
      return Problem{path.string(),
                     fmt::format("is larger than {} MB, far more than such a file can need", most >> 20)};
  }
}

Result<Done> writeFileAtomically(const std::filesystem::path& path, std::string_view contents) {
  // Through a link: the file that it points at is replaced, not the link.
  std::error_code ignored;
  std::filesystem::path target =
      std::filesystem::is_symlink(path, ignored) ? std::filesystem::canonical(path, ignored) : path;
  if (target.empty()) target = path;
  std::string pattern = (target.parent_path() / fmt::format(".{}.XXXXXX", target.filename().string())).string();
  Descriptor d(::mkostemp(pattern.data(), O_CLOEXEC));
  if (d.fd < 0) return systemProblem(path, "cannot be written");
  const auto fail = [&] {
    const Problem problem = systemProblem(path, "cannot be written");
    ::unlink(pattern.c_str());
    return problem;
  };
  struct stat old {};
  const mode_t mode = ::stat(target.c_str(), &old) == 0 ? old.st_mode & 07777 : 0644;
  if (!writeAll(d.fd, contents) || ::fchmod(d.fd, mode) != 0 || ::fsync(d.fd) != 0) return fail();
  if (::close(d.release()) != 0) return fail();
  if (::rename(pattern.c_str(), target.c_str()) != 0) return fail();
  syncFolder(target.has_parent_path() ? target.parent_path() : ".");
  return Done{};
}

} // namespace eup
