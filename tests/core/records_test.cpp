// What is recorded at the bench lives in the wing's file, beside the decisions.
#include "cli/commands.h"
#include "core/described/design_file.h"
#include "core/described/limits_check.h"
#include "core/files/json.h"
#include "core/files/shipped.h"
#include "places.h"
#include "support.h"
#include <fmt/format.h>

namespace eup {
namespace {

Design recorded() {
  Design d;
  d.bench.first = "2026-12-01", d.bench.weekday = 90, d.bench.weekend = 200, d.bench.hour = 17, d.bench.hands = 2,
  d.bench.celsius = 16, d.bench.cover = CoverWhen::flat;
  d.bench.own = {{"photograph it", "a.b", "c.d", "camera", "sharp", 5, 1.5, 4, true}};
  d.bench.needs = {{"a", "b"}};
  d.bench.leftOut = {{"e"}};
  d.records.looked = {{"0.0:glue"}};
  d.records.steps = {{"1.1.right.cutRibs", "2026-11-20 18:00", "2026-11-20 19:00", 61.5, true, "the neighbour"}};
  d.records.readings = {{ReadKind::bow, 1, 2, Hand::left, 7, -1.25, 0.3, "string", "2026-11-21 19:00", "ä ∆ “note”"}};
  d.records.parts = {{"wings.0.panels.0.rib.3", Hand::left, true, true, false, 2}};
  d.records.log = {{"2026-11-21 19:00", LogKind::picture, "the frame", "1.1.right.off", "w-pictures/frame.jpg"}};
  return d;
}

TEST(Records, ComeBackAsTheyWere) {
  const Design d = recorded();
  const auto read = designFromText(designToText(d));
  ASSERT_TRUE(read.ok()) << read.problem().text();
  EXPECT_TRUE(read.value().notes.empty()) << read.value().notes.front();
  EXPECT_TRUE(read.value().design == d);
}

// A file of the version before had neither bench nor records but what was looked at; its glues get their hours.
TEST(Records, OlderFilesHaveNone) {
  auto json = nlohmann::ordered_json::parse(test::slurp(test::testFile("version17.euptera")));
  json["own"]["glues"].push_back({{"key", "own-1"},
                                  {"label", "hide glue"},
                                  {"shearStrengthMPa", 9.0},
                                  {"peelNmm", 1.0},
                                  {"softensC", 45.0},
                                  {"source", "my own"}});
  json["records"]["looked"].push_back({{"key", "0.0:glue"}});
  const auto read = designFromText(json.dump());
  ASSERT_TRUE(read.ok()) << read.problem().text();
  EXPECT_TRUE(read.value().notes.empty()) << read.value().notes.front();
  const Design& d = read.value().design;
  EXPECT_EQ(d.bench, BenchPlan{});
  EXPECT_EQ(d.records.looked.size(), 1U);
  EXPECT_TRUE(d.records.steps.empty() && d.records.readings.empty() && d.records.log.empty());
  ASSERT_EQ(d.own.glues.size(), 1U);
  EXPECT_EQ(d.own.glues[0].hours, 2);
  EXPECT_FALSE(d.wings.front().panels.front().surfaces.empty());
}

// A thousand entries are read and written like any file; more than there may be are refused with their place.
TEST(Records, Thousands) {
  Design d = recorded();
  for (int i = 0; i < 1000; ++i)
    d.records.log.push_back({fmt::format("2026-11-21 {:02}:{:02}", i / 60 % 24, i % 60),
                             LogKind::done,
                             fmt::format("Done: step {} of the work, at the bench", i),
                             "1.1.right.off",
                             {}});
  const std::string text = designToText(d);
  const auto read = designFromText(text);
  ASSERT_TRUE(read.ok());
  EXPECT_EQ(read.value().design.records.log.size(), 1001U);
  for (int i = 0; i < mostLogEntries; ++i) d.records.log.push_back({});
  const auto beyond = outOfLimits(d);
  ASSERT_TRUE(beyond);
  EXPECT_NE(beyond->text().find("log"), std::string::npos) << beyond->text();
  EXPECT_FALSE(designFromText(designToText(d)).ok());
}

TEST(Records, LogOnTheCommandLine) {
  const test::ScratchFolder folder;
  const std::string path = (folder.path / "wing.euptera").string();
  Design d = designFromText(shipped::demo("skerrow-1460").value()).value().design;
  d.records = recorded().records;
  d.records.log.push_back({"2026-11-22 19:00", LogKind::note, "escape \x1b[31m not", {}, {}});
  std::ofstream(path) << designToText(d);
  const auto run = [&](std::vector<std::string> words) {
    std::ostringstream out, err;
    EXPECT_EQ(cli::run(words, out, err), cli::fine) << err.str();
    return out.str();
  };
  const std::string text = run({"log", path});
  EXPECT_NE(text.find("2026-11-21 19:00"), std::string::npos);
  EXPECT_NE(text.find("w-pictures/frame.jpg"), std::string::npos);
  EXPECT_EQ(text.find('\x1b'), std::string::npos) << "nothing reaches the terminal raw";
  EXPECT_EQ(run({"log", path, "--find", "escape"}).find("frame"), std::string::npos);
  EXPECT_EQ(test::jsonOf(run({"log", path, "--json"}))["log"].size(), 2U);
  EXPECT_TRUE(run({"log", path, "--csv"}).starts_with("at,kind,text,step,file"));
  EXPECT_TRUE(run({"log", path, "--html"}).starts_with("<!DOCTYPE html>"));
  // What is done is no work any more, unless the whole is asked for from a day on.
  Design begun = designFromText(shipped::demo("skerrow-1460").value()).value().design;
  begun.records.steps = {{"1.1.right.cutRibs", {}, "2026-01-02 19:00", 0, false, {}}};
  std::ofstream(path) << designToText(begun);
  EXPECT_EQ(run({"steps", path, "--csv"}).find("1.1.right.cutRibs,"), std::string::npos);
  EXPECT_NE(run({"steps", path, "--csv", "--from", "2026-12-01"}).find("1.1.right.cutRibs,"), std::string::npos);
}

/// Ticks, looks and readings on a wing that stands are told as if it had been worked out with them.
TEST(Records, BesideAWingThatStandsAreToldAsThoseItWasWorkedOutWith) {
  int differed = 0;
  for (const std::string name : {"fenlark-1500", "calderby-2200", "oldacre-1320", "gossamoor-480"})
    for (const bool leftDiffers : {false, true}) {
      Design d = designFromText(shipped::demo(name).value()).value().design;
      d.inner().left.differs = leftDiffers;
      if (leftDiffers) d.inner().left.washoutDeg = 0.4;
      auto made = work(d);
      if (!std::holds_alternative<TrueWing>(made)) continue;
      const TrueWing plain = std::move(std::get<TrueWing>(made));
      (void)findingsOf(plain), (void)figuresOf(plain);
      for (const Hold& hold : plain.inner().holds) d.records.looked.push_back({hold.key});
      d.records.readings.push_back(
          {ReadKind::incidence, 0, plain.inner().design.number, Hand::left, 2, 3.5, 0.1, {}, {}, {}});
      d.records.steps.push_back({"1.1.left.ribsOn", "2026-12-01 10:00", "2026-12-01 11:00", 60, false, {}});
      const TrueWing whole = test::wingOf(d), beside = withRecords(plain, d.records);
      EXPECT_EQ(beside.design, d) << name;
      const std::vector<Figure> one = figuresOf(whole), other = figuresOf(beside);
      ASSERT_EQ(one.size(), other.size()) << name;
      for (std::size_t i = 0; i < one.size(); ++i) {
        EXPECT_EQ(one[i].key, other[i].key) << name;
        EXPECT_EQ(one[i].value, other[i].value) << name << ' ' << one[i].key;
      }
      EXPECT_EQ(findingsOf(whole), findingsOf(beside)) << name;
      differed += findingsOf(beside) != findingsOf(plain);
      for (std::size_t i = 0; i < whole.inner().holds.size(); ++i)
        EXPECT_EQ(beside.of(Hand::left).inner().holds[i].looked, whole.of(Hand::left).inner().holds[i].looked);
    }
  EXPECT_GT(differed, 2) << "what was read is told";
}

} // namespace
} // namespace eup
