#include "core/files/text_file.h"
#include "support.h"
#include <chrono>
#include <csignal>
#include <fcntl.h>
#include <sys/resource.h>
#include <sys/stat.h>
#include <sys/wait.h>
#include <unistd.h>

namespace eup {
namespace {

using test::ScratchFolder;
using test::slurp;

/// Runs in a child of its own and answers its exit code: for limits and rights that must not touch the tests.
template <class F> int inChild(F inside) {
  const pid_t child = fork();
  if (child == 0) _exit(inside());
  int status = 0;
  waitpid(child, &status, 0);
  return WIFEXITED(status) ? WEXITSTATUS(status) : 128 + WTERMSIG(status);
}

int filesIn(const std::filesystem::path& folder) {
  return static_cast<int>(std::distance(std::filesystem::directory_iterator(folder), {}));
}

TEST(AtomicWrite, ReplacesWholeAndKeepsRights) {
  const ScratchFolder folder;
  const auto path = folder.path / "wing.euptera";
  ASSERT_TRUE(writeFileAtomically(path, "first").ok());
  chmod(path.c_str(), 0600);
  ASSERT_TRUE(writeFileAtomically(path, "second").ok());
  EXPECT_EQ(slurp(path), "second");
  struct stat info {};
  stat(path.c_str(), &info);
  EXPECT_EQ(info.st_mode & 0777, 0600u);
  EXPECT_EQ(filesIn(folder.path), 1) << "no temporary file is left";
}

TEST(AtomicWrite, FollowsALink) {
  const ScratchFolder folder;
  const auto real = folder.path / "real", link = folder.path / "link";
  ASSERT_TRUE(writeFileAtomically(real, "old").ok());
  std::filesystem::create_symlink(real, link);
  ASSERT_TRUE(writeFileAtomically(link, "new").ok());
  EXPECT_TRUE(std::filesystem::is_symlink(link));
  EXPECT_EQ(slurp(real), "new");
}

TEST(AtomicWrite, ReadOnlyFolderLeavesTheOldFile) {
  const ScratchFolder folder;
  const auto path = folder.path / "wing.euptera";
  ASSERT_TRUE(writeFileAtomically(path, "old").ok());
  chmod(folder.path.c_str(), 0555);
  const int code = inChild([&] {
    if (geteuid() == 0 && setuid(65534) != 0) return 9; // root may write anywhere; nobody may not
    const auto done = writeFileAtomically(path, "new");
    return !done.ok() && done.problem().text().find("wing.euptera") != std::string::npos ? 0 : 1;
  });
  chmod(folder.path.c_str(), 0755);
  EXPECT_EQ(code, 0);
  EXPECT_EQ(slurp(path), "old");
}

TEST(AtomicWrite, FullDiskLeavesTheOldFileAndNoLitter) {
  const ScratchFolder folder;
  const auto path = folder.path / "wing.euptera";
  ASSERT_TRUE(writeFileAtomically(path, "old").ok());
  const int code = inChild([&] {
    signal(SIGXFSZ, SIG_IGN); // a size limit stands in for a disk that is full
    const rlimit limit{1000, 1000};
    setrlimit(RLIMIT_FSIZE, &limit);
    return writeFileAtomically(path, std::string(5000, 'x')).ok() ? 1 : 0;
  });
  EXPECT_EQ(code, 0);
  EXPECT_EQ(slurp(path), "old");
  EXPECT_EQ(filesIn(folder.path), 1);
}

TEST(AtomicWrite, KilledHalfWayLeavesOldOrNewNeverHalf) {
  const ScratchFolder folder;
  const auto path = folder.path / "wing.euptera";
  const std::string a(300000, 'a'), b(300000, 'b');
  ASSERT_TRUE(writeFileAtomically(path, a).ok());
  for (int i = 0; i < 12; ++i) {
    const pid_t child = fork();
    if (child == 0) {
      for (;;) {
        (void)writeFileAtomically(path, b);
        (void)writeFileAtomically(path, a);
      }
    }
    usleep(static_cast<useconds_t>(1500 + 1700 * i));
    kill(child, SIGKILL);
    waitpid(child, nullptr, 0);
    const std::string now = slurp(path);
    EXPECT_TRUE(now == a || now == b) << now.size();
  }
}

TEST(AtomicWrite, KeepsWhatIsReadOnlyAndFollowsLinksOnlyWhereItMay) {
  const ScratchFolder folder, elsewhere;
  const auto mine = folder.path / "wing.euptera", away = elsewhere.path / "away.pdf", link = folder.path / "link.pdf";
  ASSERT_TRUE(writeFileAtomically(mine, "old").ok());
  chmod(mine.c_str(), 0444);
  const auto refused = writeFileAtomically(mine, "new");
  ASSERT_FALSE(refused.ok());
  EXPECT_NE(refused.problem().text().find("read-only"), std::string::npos);
  EXPECT_EQ(slurp(mine), "old");
  // A link in a folder of exports must not lead out of it; a person's own file may be one.
  ASSERT_TRUE(writeFileAtomically(away, "theirs").ok());
  std::filesystem::create_symlink(away, link);
  ASSERT_TRUE(writeFileAtomically(link, "through").ok());
  EXPECT_EQ(slurp(away), "through");
  ASSERT_TRUE(writeFileAtomically(link, "here", Links::replaced).ok());
  EXPECT_EQ(slurp(away), "through");
  EXPECT_EQ(slurp(link), "here");
  EXPECT_FALSE(std::filesystem::is_symlink(link));
}

TEST(AtomicWrite, LitterOfKilledSavesIsClearedWhenItIsOld) {
  const ScratchFolder folder;
  const auto path = folder.path / "wing.euptera", old = folder.path / ".wing.euptera.a1B2c3",
             young = folder.path / ".wing.euptera.d4E5f6", other = folder.path / ".wing.euptera.backup-of-mine";
  for (const auto& p : {path, old, young, other}) ASSERT_TRUE(writeFileAtomically(p, "x").ok());
  for (const auto& p : {old, other})
    std::filesystem::last_write_time(p, std::filesystem::file_time_type::clock::now() - std::chrono::hours(1));
  clearKilledSaves(path);
  EXPECT_FALSE(std::filesystem::exists(old));
  for (const auto& p : {path, young, other}) EXPECT_TRUE(std::filesystem::exists(p)) << p;
}

TEST(ReadTextFile, SaysWhyNot) {
  const ScratchFolder folder;
  EXPECT_FALSE(readTextFile(folder.path / "none").ok());
  EXPECT_FALSE(readTextFile(folder.path).ok()) << "a folder";
  EXPECT_FALSE(readTextFile("/dev/zero").ok()) << "an endless device";
  const auto pipe = folder.path / "pipe";
  mkfifo(pipe.c_str(), 0600);
  EXPECT_FALSE(readTextFile(pipe).ok()) << "a pipe that nobody writes to does not hang";
  ASSERT_TRUE(writeFileAtomically(folder.path / "big", std::string(5000, 'x')).ok());
  const auto big = readTextFile(folder.path / "big", 4000);
  ASSERT_FALSE(big.ok());
  EXPECT_NE(big.problem().cause.find("larger"), std::string::npos);
}

} // namespace
} // namespace eup
