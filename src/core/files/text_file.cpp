#include "core/files/text_file.h"
#include <cerrno>
#include <chrono>
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

/// Not a fault of the disk: a foreign file system that knows no such thing.
bool cannot(int error) {
  return error == EPERM || error == EINVAL || error == ENOTSUP || error == ENOSYS || error == EROFS;
}

/// Whether the file reads as it should.
bool holds(int fd, std::string_view contents) {
  std::vector<char> block(1 << 16);
  std::size_t at = 0;
  for (;;) {
    const ssize_t n = ::pread(fd, block.data(), block.size(), static_cast<off_t>(at));
    if (n < 0 && errno == EINTR) continue;
    if (n < 0) return false;
    if (n == 0) return at == contents.size();
    const auto many = static_cast<std::size_t>(n);
    if (contents.substr(at, many) != std::string_view(block.data(), many)) return false;
    at += many;
  }
}

/// What the temporary names of a file begin with.
std::string temporaryStart(const std::filesystem::path& target) {
  return fmt::format(".{}.", target.filename().string());
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

Result<Done> writeFileAtomically(const std::filesystem::path& path, std::string_view contents, Links links) {
  // Through a link: the file that it points at is replaced, not the link.
  std::error_code ignored;
  std::filesystem::path target = links == Links::followed && std::filesystem::is_symlink(path, ignored)
                                     ? std::filesystem::canonical(path, ignored)
                                     : path;
  if (target.empty()) target = path;
  struct stat old {};
  const bool there = (links == Links::followed ? ::stat : ::lstat)(target.c_str(), &old) == 0;
  if (there && S_ISREG(old.st_mode) && !(old.st_mode & 0222))
    return Problem{path.string(), "is marked read-only: give it another name, or let it be written to first"};
  std::string pattern = (target.parent_path() / (temporaryStart(target) + "XXXXXX")).string();
  Descriptor d(::mkostemp(pattern.data(), O_CLOEXEC));
  if (d.fd < 0) return systemProblem(path, "cannot be written");
  const auto fail = [&] {
    const Problem problem = systemProblem(path, "cannot be written");
    ::unlink(pattern.c_str());
    return problem;
  };
  Done done;
  if (!writeAll(d.fd, contents)) return fail();
  if (::fchmod(d.fd, there && S_ISREG(old.st_mode) ? old.st_mode & 07777 : 0644) != 0 && !cannot(errno)) return fail();
  if (::fsync(d.fd) != 0) {
    if (!cannot(errno)) return fail();
    done.note = "this file system does not say when a file is safely on the disk: unmount it before you pull it out";
  }
  if (!holds(d.fd, contents)) {
    ::unlink(pattern.c_str());
    return Problem{path.string(), "cannot be written: what was written reads otherwise; the disk may be damaged"};
  }
  if (::close(d.release()) != 0) return fail();
  if (::rename(pattern.c_str(), target.c_str()) != 0) return fail();
  syncFolder(target.has_parent_path() ? target.parent_path() : ".");
  return done;
}

void clearKilledSaves(const std::filesystem::path& path) {
  constexpr auto old = std::chrono::minutes(10); // a save that goes on takes seconds
  std::error_code error;
  const std::string start = temporaryStart(path);
  const auto folder = path.has_parent_path() ? path.parent_path() : std::filesystem::path(".");
  for (std::filesystem::directory_iterator it(folder, error), end; !error && it != end; it.increment(error)) {
    const std::string name = it->path().filename().string();
    if (name.size() != start.size() + 6 || !name.starts_with(start)) continue;
    const auto age = std::filesystem::file_time_type::clock::now() - it->last_write_time(error);
    if (!error && it->is_regular_file(error) && age > old) std::filesystem::remove(it->path(), error);
  }
}

} // namespace eup
