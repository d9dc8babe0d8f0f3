// What the system refuses while a file is written, one call at a time: the old file stays as it was, nothing is left
// beside it, and the cause is told. The calls are the linker's to replace (see CMakeLists.txt).
#include "core/files/text_file.h"
#include "core/takeaway/take_away.h"
#include "support.h"
#include <algorithm>
#include <cerrno>
#include <cstring>
#include <set>
#include <sys/stat.h>
#include <unistd.h>

namespace {

struct Fault {
  const char* call = "";
  int error = 0;  ///< 0: half of what is written is taken
  int before = 0; ///< calls that go well first
  bool once = false;
};
Fault fault;

bool strikes(const char* call) {
  if (std::strcmp(call, fault.call) != 0 || fault.before-- > 0) return false;
  fault.before = 0;
  if (fault.once) fault.call = "";
  errno = fault.error;
  return true;
}

} // namespace

// Names that the linker asks for.
// NOLINTBEGIN(bugprone-reserved-identifier)
extern "C" {
int __real_fsync(int fd);
int __wrap_fsync(int fd) {
  return strikes("fsync") ? -1 : __real_fsync(fd);
}
int __real_fchmod(int fd, mode_t mode);
int __wrap_fchmod(int fd, mode_t mode) {
  return strikes("fchmod") ? -1 : __real_fchmod(fd, mode);
}
int __real_mkostemp(char* name, int flags);
int __wrap_mkostemp(char* name, int flags) {
  return strikes("mkostemp") ? -1 : __real_mkostemp(name, flags);
}
int __real_rename(const char* from, const char* to);
int __wrap_rename(const char* from, const char* to) {
  return strikes("rename") ? -1 : __real_rename(from, to);
}
ssize_t __real_write(int fd, const void* data, size_t many);
ssize_t __wrap_write(int fd, const void* data, size_t many) {
  if (!strikes("write")) return __real_write(fd, data, many);
  return fault.error ? -1 : __real_write(fd, data, (many + 1) / 2);
}
ssize_t __real_pread(int fd, void* data, size_t many, off_t at);
ssize_t __wrap_pread(int fd, void* data, size_t many, off_t at) {
  const bool struck = strikes("pread");
  if (struck && fault.error) return -1;
  const ssize_t n = __real_pread(fd, data, many, at);
  if (struck && n > 0) static_cast<char*>(data)[n / 2] ^= 1; // a damaged disk
  return n;
}
}
// NOLINTEND(bugprone-reserved-identifier)

namespace eup {
namespace {

class DiskFaults : public testing::Test {
protected:
  DiskFaults() { EXPECT_TRUE(writeFileAtomically(file, "old").ok()); }
  ~DiskFaults() override { fault = {}; }
  Result<Done> writeWith(Fault with) {
    fault = with;
    auto done = writeFileAtomically(file, text);
    fault = {};
    return done;
  }
  int filesThere() const {
    return static_cast<int>(std::distance(std::filesystem::directory_iterator(folder.path), {}));
  }
  test::ScratchFolder folder;
  std::filesystem::path file = folder.path / "wing.euptera";
  std::string text = std::string(300'000, 'x') + "end";
};

TEST_F(DiskFaults, LeaveTheOldFileAndSayWhy) {
  for (const Fault& f :
       {Fault{"mkostemp", EACCES}, Fault{"mkostemp", EROFS}, Fault{"write", ENOSPC}, Fault{"write", EDQUOT},
        Fault{"write", EIO}, Fault{"fchmod", EIO}, Fault{"fsync", EIO}, Fault{"fsync", ENOSPC}, Fault{"pread", EIO},
        Fault{"pread", EIO, 2}, Fault{"rename", EACCES}, Fault{"rename", EIO}}) {
    const auto done = writeWith(f);
    ASSERT_FALSE(done.ok()) << f.call << f.error;
    EXPECT_NE(done.problem().cause.find("cannot be written"), std::string::npos) << done.problem().text();
    if (std::strcmp(f.call, "pread") != 0) {
      EXPECT_NE(done.problem().cause.find(std::strerror(f.error)), std::string::npos) << done.problem().text();
    }
    EXPECT_EQ(test::slurp(file), "old") << f.call;
    EXPECT_EQ(filesThere(), 1) << f.call;
  }
}

TEST_F(DiskFaults, ADiskThatKeepsOtherBytesIsFoundOut) {
  const auto done = writeWith({"pread", 0, 1});
  ASSERT_FALSE(done.ok());
  EXPECT_NE(done.problem().cause.find("may be damaged"), std::string::npos);
  EXPECT_EQ(test::slurp(file), "old");
  EXPECT_EQ(filesThere(), 1);
}

TEST_F(DiskFaults, ForeignFileSystemsAreWrittenToWithAWord) {
  for (const int error : {EINVAL, ENOTSUP, ENOSYS}) {
    const auto done = writeWith({"fsync", error});
    ASSERT_TRUE(done.ok()) << done.problem().text();
    EXPECT_NE(done.value().note.find("unmount it"), std::string::npos);
    EXPECT_EQ(test::slurp(file), text);
  }
  const auto done = writeWith({"fchmod", EPERM});
  ASSERT_TRUE(done.ok()) << done.problem().text();
  EXPECT_EQ(done.value().note, "");
}

/// Whatever is taken away, in place: the disk is full with the third block, or with the first.
TEST_F(DiskFaults, NoDrawingIsLeftInPart) {
  const TrueWing w = test::wingOf(test::bareDesign());
  const auto there = [&](const std::filesystem::path& out) {
    std::set<std::string> names;
    for (const auto& entry : std::filesystem::directory_iterator(out)) names.insert(entry.path().filename().string());
    return names;
  };
  for (const ExportFormat format : {ExportFormat::svg, ExportFormat::dxf, ExportFormat::pdf})
    for (const int before : {0, 3}) {
      const test::ScratchFolder out;
      ExportOrder order;
      order.formats = {format}, order.pieces = {PrintPiece::ribs, PrintPiece::plan, PrintPiece::cutList};
      fault = {"write", ENOSPC, before};
      const auto done = exportWing(w, out.path, order);
      fault = {};
      ASSERT_FALSE(done.ok()) << name(format);
      EXPECT_NE(done.problem().text().find(std::strerror(ENOSPC)), std::string::npos) << done.problem().text();
      const std::vector<std::string> planned = exportNames(w, order);
      for (const std::string& name : there(out.path)) { // those that were done before are whole
        EXPECT_NE(std::find(planned.begin(), planned.end(), name), planned.end()) << name;
        EXPECT_FALSE(test::slurp(out.path / name).empty());
      }
    }
  for (const char* name : {"section.dat", "section.svg", "section.dxf", "section.pdf"}) {
    const test::ScratchFolder out;
    fault = {"write", ENOSPC};
    const auto done = writeSection(w.inner(), true, out.path / name);
    fault = {};
    ASSERT_FALSE(done.ok()) << name;
    EXPECT_TRUE(there(out.path).empty()) << name;
  }
}

TEST_F(DiskFaults, InterruptedAndShortWritesGoOn) {
  for (const Fault& f : {Fault{"write", EINTR, 0, true}, Fault{"write", 0}, Fault{"pread", EINTR, 1, true}}) {
    const auto done = writeWith(f);
    ASSERT_TRUE(done.ok()) << f.call << done.problem().text();
    EXPECT_EQ(test::slurp(file), text);
    EXPECT_EQ(filesThere(), 1);
  }
}

} // namespace
} // namespace eup
