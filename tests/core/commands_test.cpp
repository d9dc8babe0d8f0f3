#include "cli/commands.h"
#include "core/described/design_file.h"
#include "core/files/json.h"
#include "core/files/text_file.h"
#include "places.h"
#include "support.h"
#include <fmt/format.h>

namespace eup {
namespace {

struct Ran {
  int code;
  std::string out, err;
};

Ran run(std::vector<std::string> args) {
  std::ostringstream out, err;
  const int code = cli::run(args, out, err);
  return {code, out.str(), err.str()};
}

class Commands : public testing::Test {
protected:
  test::ScratchFolder folder;
  std::string write(const char* name, const std::string& text) {
    const auto path = folder.path / name;
    EXPECT_TRUE(writeFileAtomically(path, text).ok());
    return path.string();
  }
  std::string demoFile() { return write("demo.euptera", run({"demo", "fenlark-1500"}).out); }
};

TEST_F(Commands, DemoReportStationsCheck) {
  const std::string demo = demoFile();
  const Ran report = run({"report", demo, "--json"});
  EXPECT_EQ(report.code, cli::fine) << report.err;
  const auto json = test::jsonOf(report.out);
  EXPECT_EQ(json["wing"], "Fenlark 1500");
  EXPECT_EQ(run({"report", demo}).code, cli::fine);
  const Ran stations = run({"stations", demo, "--csv"});
  EXPECT_EQ(stations.code, cli::fine);
  EXPECT_EQ(std::count(stations.out.begin(), stations.out.end(), '\n'), 14);
  EXPECT_EQ(run({"check", demo}).code, cli::fine);
}

TEST_F(Commands, SectionFromDigitsAndFromAFile) {
  const Ran digits = run({"section", "2412", "--json"});
  EXPECT_EQ(digits.code, cli::fine);
  const auto json = test::jsonOf(digits.out);
  EXPECT_NEAR(json["thickness"].get<double>(), 0.12007, 1e-4);
  std::string list = "made up\n";
  for (const auto& p : json["upper"]) list = fmt::format("{}{} {}\n", list, p[0].get<double>(), p[1].get<double>());
  list += "\n";
  for (const auto& p : json["lower"]) list = fmt::format("{}{} {}\n", list, p[0].get<double>(), p[1].get<double>());
  const Ran file = run({"section", write("s.dat", list), "--json"});
  EXPECT_EQ(file.code, cli::fine) << file.err;
  EXPECT_NEAR(test::jsonOf(file.out)["area"].get<double>(), json["area"].get<double>(), 2e-5);
  const Ran bad = run({"section", write("bad.dat", "x\n1 2\nfoo\n")});
  EXPECT_EQ(bad.code, cli::unreadable);
  EXPECT_NE(bad.err.find("line 3"), std::string::npos) << bad.err;
  EXPECT_EQ(run({"section", "99"}).code, cli::usage);
}

TEST_F(Commands, ExitCodes) {
  EXPECT_EQ(run({}).code, cli::usage);
  EXPECT_EQ(run({"juggle"}).code, cli::usage);
  EXPECT_EQ(run({"export", demoFile()}).code, cli::usage) << "no folder";
  EXPECT_EQ(run({"export", demoFile(), "--to", folder.path.string(), "--format", "bmp"}).code, cli::usage);
  EXPECT_EQ(run({"demo", "none"}).code, cli::usage);
  EXPECT_EQ(run({"--help"}).code, cli::fine);
  EXPECT_EQ(run({"--version"}).code, cli::fine);
  EXPECT_EQ(run({"report", "/no/such/file"}).code, cli::unreadable);
  EXPECT_EQ(run({"report", write("x", "{\"format\": 1}")}).code, cli::unreadable);
  EXPECT_EQ(run({"export", demoFile(), "--to", "/proc/none"}).code, cli::unreadable);
  Design weak;
  weak.flying.mass = 9000;
  const Ran check = run({"check", write("weak", designToText(weak))});
  EXPECT_EQ(check.code, cli::seriousFindings);
  EXPECT_NE(check.out.find("serious"), std::string::npos);
  Design impossible;
  impossible.inner().ribs.rule = RibRule::stations;
  impossible.inner().ribs.stations = {0, 900};
  EXPECT_EQ(run({"report", write("imp", designToText(impossible)), "--json"}).code, cli::seriousFindings);
}

TEST_F(Commands, ExportWritesTheChosenHand) {
  const Ran one =
      run({"export", demoFile(), "--to", (folder.path / "out").string(), "--format", "dxf", "--hand", "left"});
  EXPECT_EQ(one.code, cli::fine) << one.err;
  EXPECT_EQ(std::count(one.out.begin(), one.out.end(), '\n'), 11);
  EXPECT_EQ(one.out.find("right"), std::string::npos);
}

TEST_F(Commands, PlanTellsReadingsJudgementsAndTheLayout) {
  const auto path = write("plan.euptera", run({"demo", "fenlark-faulty-plan"}).out);
  const Ran ran = run({"plan", path});
  EXPECT_EQ(ran.code, 0);
  for (const char* said : {"1.3 % short across", "LE R1", "FAULT R7 template 2.4 mm short",
                           "Panel: Half span: 748 mm -> 750 mm", "taken: The mean of both hands"})
    EXPECT_NE(ran.out.find(said), std::string::npos) << said;
  EXPECT_EQ(run({"plan", "/no/such"}).code, 3);
}

TEST_F(Commands, WhereThereIsNothingToTellItSaysSo) {
  const auto path = write("plain.euptera", run({"demo", "gossamoor-480"}).out);
  for (const char* what : {"surfaces", "foam", "log"}) {
    const Ran ran = run({what, path});
    EXPECT_EQ(ran.code, 0) << what;
    EXPECT_TRUE(ran.out.empty()) << what;
    EXPECT_TRUE(ran.err.starts_with("euptera-cli: ")) << what << ran.err;
  }
  const auto kept = write("kept.euptera", run({"demo", "skerrow-1460"}).out);
  EXPECT_NE(run({"log", kept, "--find", "zzz"}).err.find("no entry"), std::string::npos);
  EXPECT_TRUE(run({"log", kept}).err.empty());
}

TEST_F(Commands, UpgradeWritesThePresentFormat) {
  const Ran ran = run({"upgrade", test::testFile("version1.euptera")});
  EXPECT_EQ(ran.code, 0);
  EXPECT_NE(ran.out.find(fmt::format("\"version\": {}", fileFormatVersion)), std::string::npos);
  EXPECT_TRUE(designFromText(ran.out).value().notes.empty());
  EXPECT_EQ(run({"upgrade", write("bad", "{}")}).code, 3);
}

TEST_F(Commands, TellsTheTablesAndABendTest) {
  const Ran all = run({"materials"});
  EXPECT_EQ(all.code, 0);
  EXPECT_EQ(all.out.find("table,key,name,what,value,known_from"), 0u);
  EXPECT_NE(all.out.find("materials,spruce,\"Sitka spruce\",modulusMPa,10800,"), std::string::npos);
  EXPECT_NE(all.out.find("glues,aliphatic,"), std::string::npos);
  Design d;
  d.own.coverings.push_back({.key = "own-1", .label = "gift \"wrap\""});
  EXPECT_NE(run({"materials", write("own", designToText(d))}).out.find("coverings,own-1,\"gift \"\"wrap\"\"\""),
            std::string::npos);
  EXPECT_EQ(run({"materials", "/no/such"}).code, 3);
  const std::vector<std::string> test{"bend", "--width", "10", "--depth",  "3",   "--span",   "300", "--load",
                                      "100",  "--sag",   "5",  "--length", "914", "--weight", "5"};
  const Ran bent = run(test);
  EXPECT_EQ(bent.code, 0) << bent.err;
  const auto row = readTables(bent.out);
  ASSERT_TRUE(row.ok()) << row.problem().text();
  EXPECT_DOUBLE_EQ(row.value().materials.front().modulus, 4900);
  for (const std::vector<std::string>& wrong :
       {std::vector<std::string>{"--sag", "80"}, {"--sag", "nan"}, {"--like", "cheese"}, {"--depth", "x"}}) {
    std::vector<std::string> args = test;
    const auto at = std::find(args.begin(), args.end(), wrong[0]);
    at == args.end() ? void(args.insert(args.end(), wrong.begin(), wrong.end())) : void(*(at + 1) = wrong[1]);
    const Ran ran = run(args);
    EXPECT_EQ(ran.code, cli::usage) << wrong[0] << wrong[1];
    EXPECT_FALSE(ran.err.empty());
  }
  EXPECT_EQ(run({"bend", "--width", "10"}).code, cli::usage);
}

TEST_F(Commands, SizesASparAndTellsTheCurves) {
  const Ran sized = run({"size", demoFile(), "--stock", "3,4,5,6,8", "--wood", "spruce"});
  EXPECT_EQ(sized.code, 0) << sized.err;
  EXPECT_NE(sized.out.find("grams,reserve,wood"), std::string::npos);
  EXPECT_GT(std::count(sized.out.begin(), sized.out.end(), '\n'), 2);
  EXPECT_EQ(run({"size", demoFile(), "--reserve", "80"}).code, cli::seriousFindings);
  const Ran stepped = run({"size", demoFile(), "--stock", "2,3,4,6,8", "--wood", "spruce", "--stepped"});
  EXPECT_NE(stepped.out.find(",0.5\n"), std::string::npos) << stepped.out;
  for (const std::vector<std::string>& wrong : {std::vector<std::string>{"--spar", "0"},
                                                {"--spar", "3"},
                                                {"--panel", "2"},
                                                {"--wing", "-1"},
                                                {"--reserve", "0"},
                                                {"--reserve", "nan"},
                                                {"--wood", "cheese"},
                                                {"--stock", "0"},
                                                {"--stock", "x"}}) {
    std::vector<std::string> all{"size", demoFile()};
    all.insert(all.end(), wrong.begin(), wrong.end());
    EXPECT_EQ(run(all).code, cli::usage) << wrong[0] << ' ' << wrong[1];
  }
  const Ran curves = run({"curves", demoFile()});
  EXPECT_EQ(curves.code, 0);
  EXPECT_EQ(std::count(curves.out.begin(), curves.out.end(), '\n'), 62);
  EXPECT_NE(curves.out.find("Bending (N·m), landing on a tip"), std::string::npos);
  EXPECT_EQ(run({"curves", demoFile(), "--wing", "2"}).code, cli::usage);
}

TEST_F(Commands, SectionSheetsAndTheCatalogue) {
  const std::string to = (folder.path / "tip.dat").string();
  EXPECT_EQ(run({"section-sheet", demoFile(), "--to", to, "--end", "tip", "--layout", "blocks"}).code, 0);
  EXPECT_NE(test::slurp(to).find("NACA 2411"), std::string::npos);
  EXPECT_EQ(run({"section-sheet", demoFile(), "--to", (folder.path / "x.gif").string()}).code, 3);
  const std::string soarer = write("soarer", run({"demo", "tarnbrook-2000"}).out);
  EXPECT_EQ(run({"section-sheet", soarer, "--to", to, "--end", "tip", "--panel", "3"}).code, 0);
  EXPECT_NE(test::slurp(to).find("NACA 2409"), std::string::npos);
  for (const char* none : {"0", "4", "-1"})
    EXPECT_EQ(run({"section-sheet", soarer, "--to", to, "--panel", none}).code, 2) << none;
  const Ran found = run({"sections", "--thickness", "9", "10", "--flat"});
  EXPECT_EQ(found.code, 0);
  EXPECT_NE(found.out.find("flat underside 10 %"), std::string::npos);
  EXPECT_EQ(found.out.find("NACA 0012 "), std::string::npos);
}

/// The wing put together again, by the command line: nothing off, and an error with its size; what is typed wrong is
/// said.
TEST_F(Commands, AssembleTellsWhatAnErrorDoes) {
  const std::string file = write("a.euptera", designToText(Design{}));
  const auto right = run({"assemble", file, "--json"});
  EXPECT_EQ(right.code, 0);
  const auto json = test::jsonOf(right.out);
  EXPECT_LT(json["off"].get<double>(), 0.05);
  const auto wrong = test::jsonOf(run({"assemble", file, "--json", "--notch", "R3=0.3", "--brace", "1=0.5"}).out);
  EXPECT_NEAR(wrong["panels"][0]["ribs"][2]["up"].get<double>(), -0.3, 0.01);
  EXPECT_NEAR(wrong["panels"][0]["gamma"].get<double>() - json["panels"][0]["gamma"].get<double>(), 0.25, 0.01);
  EXPECT_NE(run({"assemble", file}).out.find("the tip lies 0.000 mm"), std::string::npos);
  for (const char* odd : {"R99=0.3", "R3", "=1", "R3=x", "3=1e9", "R=2"})
    EXPECT_EQ(run({"assemble", file, "--notch", odd}).code, 2) << odd;
  EXPECT_EQ(run({"assemble", file, "--brace", "4=1"}).code, 2);
}

} // namespace
} // namespace eup
