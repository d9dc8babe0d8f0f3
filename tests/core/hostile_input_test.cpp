// What comes from outside and is no plan, no day, no minutes, no cell: told or made harmless, never waited for.
#include "cli/commands.h"
#include "core/bench/progress.h"
#include "core/described/decisions.h"
#include "core/described/design_file.h"
#include "core/described/limits_check.h"
#include "core/exchange/dxf_writer.h"
#include "core/exchange/report.h"
#include "core/exchange/svg_writer.h"
#include "core/files/bytes.h"
#include "core/files/text_file.h"
#include "core/plan/plan_image.h"
#include "places.h"
#include "support.h"
#include <csignal>
#include <sys/resource.h>
#include <sys/stat.h>
#include <sys/wait.h>
#include <unistd.h>

namespace eup {
namespace {

TEST(HostileInput, NeitherDeviceNorPipeIsReadForItsChecksum) {
  const test::ScratchFolder folder;
  const auto pipe = folder.path / "plan.png";
  ASSERT_EQ(::mkfifo(pipe.c_str(), 0600), 0);
  for (const std::filesystem::path& path :
       {pipe, std::filesystem::path("/dev/zero"), std::filesystem::path("/dev/ptmx")}) {
    const auto sum = sha256OfFile(path);
    ASSERT_FALSE(sum.ok()) << path;
    EXPECT_NE(sum.problem().text().find("device or a pipe"), std::string::npos) << sum.problem().text();
    EXPECT_FALSE(openPlanImage(path, {}, {}).ok());
  }
  EXPECT_FALSE(sha256OfFile(folder.path).ok());
  const auto file = folder.path / "abc";
  ASSERT_TRUE(writeFileAtomically(file, "abc").ok());
  // FIPS 180-2, appendix B.1.
  EXPECT_EQ(sha256OfFile(file).value(), "ba7816bf8f01cfea414140de5dae2223b00361a396177a9cb410ff61f20015ad");
}

TEST(HostileInput, ADxfThatHasNoRoomIsToldNotCutShort) {
  Drawing drawing;
  for (int i = 0; i < 200; ++i)
    drawing.strokes.push_back({Layer::cut, {{0, 0.0 + i}, {100, 0.0 + i}, {50, 1.0 + i}}, true});
  ASSERT_TRUE(toDxf(drawing).ok());
  const pid_t child = fork();
  if (child == 0) {
    signal(SIGXFSZ, SIG_IGN); // a size limit stands in for a temporary folder that is full
    const rlimit limit{10000, 10000};
    setrlimit(RLIMIT_FSIZE, &limit);
    const auto text = toDxf(drawing);
    _exit(!text.ok() && text.problem().text().find("full") != std::string::npos ? 0 : 1);
  }
  int status = 0;
  waitpid(child, &status, 0);
  EXPECT_TRUE(WIFEXITED(status));
  EXPECT_EQ(WEXITSTATUS(status), 0);
}

// Extensible Markup Language (XML) 1.0, production 2: no control letters but tab and line ends, written out or as
// references.
TEST(HostileInput, NamesWithControlLettersStillMakeXml) {
  Drawing drawing;
  drawing.wing = "bell\x07 escape\x1b[31m";
  drawing.labels.push_back({});
  drawing.labels.back().text = "R1\x01";
  const std::string svg = toSvg(drawing);
  EXPECT_NE(svg.find("bell? escape?[31m"), std::string::npos) << svg;
  EXPECT_NE(svg.find("R1?"), std::string::npos);
  EXPECT_EQ(svg.find("&#"), std::string::npos) << svg;
}

TEST(HostileInput, ATerminalIsToldNothingThatItWouldObey) {
  const test::ScratchFolder folder;
  const auto path = folder.path / "w.euptera";
  Design d;
  d.name = "red\x1b[31m";
  d.wings[0].name = "bell\x07";
  d.inner().spars[0].name = "spar\x1b]0;title\x07";
  ASSERT_TRUE(writeFileAtomically(path, designToText(d)).ok());
  for (const char* command : {"report", "parts", "check", "balance", "steps", "curves", "plan"}) {
    std::ostringstream out, err;
    cli::run({command, path.string()}, out, err);
    for (const char c : out.str() + err.str())
      ASSERT_FALSE((static_cast<unsigned char>(c) < ' ' && c != '\n' && c != '\r' && c != '\t') || c == 0x7f)
          << command;
  }
}

TEST(HostileInput, ASpreadsheetWorksNothingOut) {
  EXPECT_EQ(harmlessCell("=1+1"), "'=1+1");
  EXPECT_EQ(harmlessCell("@sum"), "'@sum");
  EXPECT_EQ(harmlessCell("-3.25"), "-3.25");
  EXPECT_EQ(harmlessCell("+1e3"), "+1e3");
  EXPECT_EQ(harmlessCell("-cmd"), "'-cmd");
  EXPECT_EQ(harmlessCell("rib"), "rib");
  EXPECT_EQ(toCsv({{"a", "b"}, {{"=1", "-2.5"}}}), "a,b\r\n\"'=1\",-2.5\r\n");
}

TEST(HostileInput, MinutesAtTheBenchAreNoneOrSome) {
  const auto why = [](const char* path, const char* typed) {
    const auto done = decide(Design{}, path, typed);
    return done.ok() ? std::string() : done.problem().text();
  };
  EXPECT_EQ(why("bench.weekday", "0"), "");
  EXPECT_EQ(why("bench.weekday", "5"), "");
  EXPECT_NE(why("bench.weekday", "0.0001").find("0 for none, or 5"), std::string::npos)
      << why("bench.weekday", "0.0001");
  EXPECT_EQ(decideValue(Design{}, "bench.weekend", 1e-9).value().bench.weekend, 5);
  Design d;
  d.bench.weekday = 1e-9, d.bench.weekend = 0;
  EXPECT_TRUE(outOfLimits(d));
  const auto read = designFromText(designToText(d));
  ASSERT_TRUE(read.ok());
  EXPECT_EQ(read.value().design.bench.weekday, 5);
  EXPECT_FALSE(read.value().notes.empty());
  // Also where nobody has looked at it before: the work ends.
  const TrueWing w = test::wingOf(d);
  std::ostringstream out, err;
  const test::ScratchFolder folder;
  const auto path = folder.path / "w.euptera";
  ASSERT_TRUE(writeFileAtomically(path, designToText(d)).ok());
  EXPECT_EQ(cli::run({"steps", path.string(), "--ics"}, out, err), cli::fine);
  EXPECT_LT(out.str().size(), 4u << 20);
  EXPECT_EQ(cli::run({"steps", path.string(), "--weekday", "1e-9"}, out, err), cli::usage);
}

TEST(HostileInput, ADayIsADayOfTheCalendar) {
  const auto why = [](const char* typed) {
    const auto done = decide(Design{}, "bench.first", typed);
    return done.ok() ? std::string() : done.problem().text();
  };
  EXPECT_EQ(why("2026-12-05"), "");
  EXPECT_EQ(why(" 2028-02-29 "), "");
  EXPECT_EQ(why(""), "") << "today";
  for (const char* wrong : {"5.12.2026", "2026-02-30", "2026-13-01", "tomorrow"})
    EXPECT_NE(why(wrong).find("write year, month and day as 2026-12-05"), std::string::npos) << why(wrong);
  Design d;
  d.bench.first = "2026-02-30";
  EXPECT_TRUE(outOfLimits(d));
  const auto read = designFromText(designToText(d));
  ASSERT_TRUE(read.ok());
  EXPECT_EQ(read.value().design.bench.first, "");
  EXPECT_FALSE(read.value().notes.empty());
}

} // namespace
} // namespace eup
