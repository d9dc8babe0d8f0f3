// The floors: a file of the core includes only from its own floor or lower ones, and never sees the window's toolkit.
#include "core/described/decisions.h"
#include "core/takeaway/take_away.h"
#include "places.h"
#include "support.h"
#include <map>
#include <regex>
#include <set>

#ifdef QT_VERSION
#error "the core's headers see Qt"
#endif

namespace eup {
namespace {

const std::map<std::string, int> floors{
    {"measure", 0},  {"files", 0},  {"geometry", 1}, {"section", 2},  {"plan", 2},  {"design", 3},   {"described", 4},
    {"assembly", 4}, {"loft", 5},   {"edit", 6},     {"parts", 6},    {"joins", 6}, {"strength", 6}, {"balance", 6},
    {"skins", 6},    {"foam", 6},   {"surfaces", 6}, {"bench", 6},    {"wing", 7},  {"drawing", 8},  {"exchange", 8},
    {"report", 9},   {"steps", 10}, {"trials", 11},  {"takeaway", 11}};

// Trades that may use another of their own floor; docs/architecture.md says why.
const std::set<std::pair<std::string, std::string>> sideways{
    {"joins", "parts"},   {"strength", "parts"}, {"balance", "strength"},  {"skins", "parts"},
    {"foam", "parts"},    {"surfaces", "parts"}, {"surfaces", "strength"}, {"exchange", "drawing"},
    {"files", "measure"}, {"plan", "section"}};

TEST(Architecture, IncludesGoDownwardsOnly) {
  const std::regex include("#include \"core/([a-z]+)/");
  int looked = 0;
  for (const auto& entry : std::filesystem::recursive_directory_iterator(test::sourceFile("src/core"))) {
    if (entry.path().extension() != ".h" && entry.path().extension() != ".cpp") continue;
    const std::string own = entry.path().parent_path().filename().string(), text = test::slurp(entry.path());
    ASSERT_TRUE(floors.contains(own)) << own;
    ++looked;
    EXPECT_EQ(text.find("#include <Q"), std::string::npos) << entry.path();
    EXPECT_EQ(text.find("#include \"app/"), std::string::npos) << entry.path();
    for (std::sregex_iterator it(text.begin(), text.end(), include), end; it != end; ++it) {
      const std::string other = (*it)[1];
      ASSERT_TRUE(floors.contains(other)) << other;
      const bool fine = other == own || floors.at(other) < floors.at(own) || sideways.contains({own, other});
      EXPECT_TRUE(fine) << entry.path() << " includes " << other;
    }
  }
  EXPECT_GT(looked, 40);
}

/// The window's rooms, from the lowest: a file includes from its own and from lower ones.
TEST(Architecture, TheWindowsRoomsStandOnEachOther) {
  const std::vector<std::string> rooms{"look", "state", "devices", "boards", "dialogs", "bench", "decide", "frame"};
  const std::regex include("#include \"app/([a-z]+)/");
  std::map<std::string, int> filesIn;
  for (const auto& entry : std::filesystem::recursive_directory_iterator(test::sourceFile("src/app"))) {
    if (entry.path().extension() != ".h" && entry.path().extension() != ".cpp") continue;
    if (entry.path().filename() == "main.cpp") continue;
    const auto place = [&](const std::string& room) { return std::find(rooms.begin(), rooms.end(), room); };
    const std::string own = entry.path().parent_path().filename().string(), text = test::slurp(entry.path());
    ASSERT_NE(place(own), rooms.end()) << entry.path();
    ++filesIn[own];
    for (std::sregex_iterator it(text.begin(), text.end(), include), end; it != end; ++it)
      EXPECT_LE(place((*it)[1]), place(own)) << entry.path() << " includes " << (*it)[1];
  }
  EXPECT_EQ(filesIn.size(), rooms.size());
  for (const auto& [room, files] : filesIn) EXPECT_LE(files, 40) << room;
}

/// Why: docs/decisions/2026-12-01-libraries-are-compiled-once.md.
TEST(Architecture, LibrariesThatTakeLongToCompileHaveOneHome) {
  const std::regex slow("#include <(Eigen/(Dense|QR|SVD|Eigenvalues|SparseCholesky)|CLI/|nlohmann/)");
  std::set<std::string> homes;
  for (const char* folder : {"src", "instruments", "arguments"})
    for (const auto& entry : std::filesystem::recursive_directory_iterator(test::sourceFile(folder))) {
      if (entry.path().extension() != ".h" && entry.path().extension() != ".cpp") continue;
      const std::string text = test::slurp(entry.path());
      if (std::regex_search(text, slow)) homes.insert(entry.path().filename().string());
    }
  EXPECT_EQ(homes, (std::set<std::string>{"arguments.cpp", "json.h", "solve.cpp"}));
}

} // namespace
} // namespace eup
