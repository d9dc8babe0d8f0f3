#include "core/described/decisions.h"
#include "core/described/design_file.h"
#include "core/described/limits_check.h"
#include "core/described/visitor.h"
#include "core/design/tables.h"
#include "core/files/json.h"
#include "core/files/shipped.h"
#include "core/section/naca.h"
#include "places.h"
#include "support.h"
#include <functional>
#include <rapidcheck/gtest.h>
#include <set>

namespace eup {
namespace {

/// Visits every decision and moves it off its default, so that a field that is not saved is found out.
class Mover : public Visitor {
public:
  using Visitor::group;
  void group(const char*, Topic, int, Inside inside) override { inside(); }
  void hidden(const char*, Inside inside) override { inside(); }
  void items(const char*, Topic, ListRef all, int most, bool, Each each) override {
    all.resize(static_cast<std::size_t>(std::min(most, 3)));
    for (std::size_t i = 0; i < all.size(); ++i) each(i);
  }
  void length(const char*, const char*, double& v, Limits l, bool = true) override { move(v, l); }
  void angle(const char*, const char*, double& v, Limits l, bool = true) override { move(v, l); }
  void fraction(const char*, const char*, double& v, Limits l, bool = true) override { move(v, l); }
  void number(const char*, const char*, double& v, Limits l, bool = true) override { move(v, l); }
  void mass(const char*, const char*, double& v, Limits l, bool = true) override { move(v, l); }
  void count(const char*, const char*, int& v, Limits l, bool = true) override {
    v = v + 1 <= l.high ? v + 1 : v - 1, ++moved;
  }
  void flag(const char*, const char*, bool& v, bool = true) override { v = !v, ++moved; }
  void text(const char*, const char*, std::string& v, bool = true) override { v += " “ü” \\ \"\n", ++moved; }
  void know(const Tables& rows) override { own = &rows; }
  void listed(const char*, const char*, std::string& v, Shelf shelf, bool = true) override {
    v = own->namesOn(shelf).back().key, ++moved;
  }
  void chosen(const char*, const char*, std::size_t& v, std::span<const Choice> names, bool) override {
    v = (v + 1) % names.size(), ++moved;
  }
  void stations(const char*, const char*, std::vector<double>& v, bool) override { v = {0, 1.0 / 3, 700.125}, ++moved; }
  void numbers(const char*, const char*, std::vector<int>& v, bool = true) override { v = {2, 5}, ++moved; }
  void shares(const char*, const char*, std::vector<double>& v, bool) override { v = {0.75, 1.0 / 3, 0}, ++moved; }
  void lasting(const char*, int& v) override { v = ++moved; } // no other has it
  void freeText(const char*, std::string& v) override { v += "é/x", ++moved; }
  void day(const char*, const char*, std::string& v) override { v = "2026-12-05", ++moved; }
  void digits(const char*, const char*, std::string& v, bool) override { v = "4415-63", ++moved; }
  void points(const char* key, Polyline& v, std::size_t) override {
    const double side = std::string_view(key) == "lower" ? -1 : 1;
    v = {{0, 0}, {0.3, side * 0.0625}, {1, side * 0.001}}, ++moved;
    if (std::string_view(key) == "points") v.resize(1); // of a reading, whose kind moves to one with a single point
    if (std::string_view(key) == "ends" || std::string_view(key) == "level") v.resize(2);
  }
  void outline(const char*, const char*, Polyline& v, bool) override { v = {{-4, 12.5}, {77, 1.0 / 3}}, ++moved; }
  void bytes(const char*, EmbeddedCopy& v) override { v = EmbeddedCopy(std::string("\0\xff bytes", 8)), ++moved; }
  void dihedral(const char*, Dihedral& v, double, bool) override { v = {DihedralBy::angle, 3.7}, ++moved; }
  int moved = 0;

private:
  const Tables* own = nullptr;
  void move(double& v, Limits l) {
    // Off the default by an odd share of the room there is, on the side that has more.
    const double share = 0.1234567890123 / (1 + moved % 7);
    v = l.high - v > v - l.low ? v + (l.high - v) * share : v - (v - l.low) * share;
    ++moved;
  }
};

TEST(DesignFile, LoadAfterSaveIsIdentityWithEveryFieldOffItsDefault) {
  Design d;
  Mover mover;
  describe(d, mover);
  EXPECT_GT(mover.moved, 90);
  const auto read = designFromText(designToText(d));
  ASSERT_TRUE(read.ok()) << read.problem().text();
  EXPECT_TRUE(read.value().notes.empty());
  EXPECT_EQ(read.value().design, d);
  // No field was left at its default by chance.
  const auto now = test::jsonOf(designToText(d)).flatten(), fresh = test::jsonOf(designToText(Design{})).flatten();
  for (const auto& [pointer, value] : now.items()) {
    if (pointer == "/format" || pointer == "/version") continue;
    if (pointer.find("/listed/") != std::string::npos) continue; // every listing starts at the nose and ends at x = 1
    if (fresh.contains(pointer)) {
      EXPECT_NE(value, fresh[pointer]) << pointer;
    }
  }
}

RC_GTEST_PROP(DesignFile, NumbersComeBackToTheLastBit, ()) {
  Design d;
  d.inner().panel.span = *rc::gen::inRange(100000, 3000000) / 997.0;
  d.inner().panel.washoutDeg = *rc::gen::inRange(-5000, 5000) / 997.0;
  d.inner().sheeting.fraction = *rc::gen::inRange(30, 900) / 997.0;
  d.inner().join.dihedral = {DihedralBy::angle, *rc::gen::inRange(-20000, 20000) / 997.0};
  RC_ASSERT(designFromText(designToText(d)).value().design == d);
}

TEST(DesignFile, IsReadableByPeople) {
  const std::string text = designToText(Design{});
  EXPECT_NE(text.find("\"span\": 700.0"), std::string::npos);
  EXPECT_NE(text.find("\"washoutDeg\": 2.0"), std::string::npos);
  // A decision a line: nobody scrolls sideways for the next one.
  EXPECT_GT(std::count(text.begin(), text.end(), '\n'), 150);
  std::size_t longest = 0, from = 0;
  for (std::size_t i = 0; i < text.size(); ++i)
    if (text[i] == '\n') longest = std::max(longest, i - from), from = i + 1;
  EXPECT_LT(longest, 200u);
}

TEST(DesignFile, OfVersion1StillLoads) {
  const auto read = designFromText(test::slurp(test::testFile("version1.euptera")));
  ASSERT_TRUE(read.ok()) << read.problem().text();
  EXPECT_TRUE(read.value().notes.empty());
  EXPECT_EQ(read.value().design.name, "Version one");
  EXPECT_EQ(read.value().design.inner().spars.size(), 2u);
  EXPECT_EQ(read.value().design.inner().sections.root.naca, "2413");
  EXPECT_EQ(read.value().design.inner().sections.tip.kind, SectionKind::listed);
  EXPECT_EQ(read.value().design.inner().sections.tip.listed.name, "thin");
}

TEST(DesignFile, OfVersion2StillLoads) {
  const auto read = designFromText(test::slurp(test::testFile("version2.euptera")));
  ASSERT_TRUE(read.ok()) << read.problem().text();
  EXPECT_TRUE(read.value().notes.empty()) << read.value().notes.front();
  const Design& d = read.value().design;
  EXPECT_EQ(d.name, "Version two");
  ASSERT_EQ(d.plan.sheets.size(), 1u);
  EXPECT_EQ(d.plan.sheets[0].lengths.size(), 3u);
  EXPECT_EQ(d.plan.readings.size(), 6u);
  EXPECT_EQ(d.plan.verdicts, (std::vector<Verdict>{{"spacing", false}}));
  EXPECT_EQ(d.inner().sections.tip.kind, SectionKind::traced);
  EXPECT_EQ(d.inner().sections.tip.traced.upper.size(), 7u);
  ASSERT_EQ(d.inner().sections.root.steps.size(), 2u);
  EXPECT_EQ(d.inner().sections.root.steps[1].kind, StepKind::blend);
  EXPECT_FALSE(d.inner().sections.root.steps[1].on);
  EXPECT_EQ(d.inner().sections.root.steps[1].with, "23012");
}

/// A wing of version 3 had ribs, spars and tips of one kind, and a brace on its first spar with a cap.
TEST(DesignFile, LoadsVersionThree) {
  const auto read = designFromText(test::slurp(test::testFile("version3.euptera")));
  ASSERT_TRUE(read.ok()) << read.problem().text();
  EXPECT_TRUE(read.value().notes.empty()) << read.value().notes.front();
  const Design& d = read.value().design;
  ASSERT_EQ(d.wings.size(), 1u);
  ASSERT_EQ(d.wings[0].panels.size(), 3u);
  EXPECT_EQ(d.wings[0].name, "Wing");
  EXPECT_EQ(d.wings[0].kind, WingKind::main);
  EXPECT_EQ(d.at({0, 2}).tip.kind, TipKind::square);
  EXPECT_EQ(d.inner().riblets.inBay, 0);
  EXPECT_EQ(d.inner().join.braces[0].spar, 1);
  EXPECT_FALSE(d.inner().spars[0].stops || d.inner().spars[0].top.tapers || d.inner().join.joiner.fitted);
  EXPECT_DOUBLE_EQ(d.at({0, 2}).panel.tipChord, 112);
}

/// A wing of version 4 had ribs with the flight, one brace a join, spars that end there, caps of one wood.
TEST(DesignFile, LoadsVersionFour) {
  const auto read = designFromText(test::slurp(test::testFile("version4.euptera")));
  ASSERT_TRUE(read.ok()) << read.problem().text();
  EXPECT_TRUE(read.value().notes.empty()) << read.value().notes.front();
  const Design& d = read.value().design;
  ASSERT_EQ(d.wings.size(), 3u);
  EXPECT_EQ(d.wings[2].kind, WingKind::fin);
  EXPECT_EQ(d.at({0, 1}).riblets.inBay, 1);
  EXPECT_EQ(d.at({0, 1}).tip.kind, TipKind::bow);
  EXPECT_DOUBLE_EQ(d.at({0, 1}).tip.springBack, 0);
  EXPECT_EQ(d.inner().ribs.direction, RibDirection::flight);
  EXPECT_EQ(d.inner().join.sparsThere, SparsThere::end);
  EXPECT_EQ(d.inner().join.braces.size(), 0u);
  EXPECT_EQ(d.at({0, 1}).join.braces.size(), 1u);
  EXPECT_FALSE(d.inner().join.rods || d.inner().spars[0].top.changes);
}

/// A wing of version 5 knew one load.
TEST(DesignFile, LoadsVersionFive) {
  const auto read = designFromText(test::slurp(test::testFile("version5.euptera")));
  ASSERT_TRUE(read.ok()) << read.problem().text();
  EXPECT_TRUE(read.value().notes.empty()) << read.value().notes.front();
  const Design& d = read.value().design;
  EXPECT_EQ(d.inner().ribs.direction, RibDirection::diagonal);
  EXPECT_TRUE(d.inner().ribs.crossing);
  ASSERT_EQ(d.inner().join.braces.size(), 2u);
  EXPECT_EQ(d.inner().join.braces[1].spar, 2);
  EXPECT_EQ(d.flying.kind, typedFactors);
  EXPECT_EQ(d.flying.gust + d.flying.linePull + d.flying.tipTouch + d.flying.pushFactor + d.flying.diveSpeed, 0);
}

/// A wing of version 6 had frames of medium balsa, and no rows of its own in the tables.
TEST(DesignFile, LoadsVersionSix) {
  const auto read = designFromText(test::slurp(test::testFile("version6.euptera")));
  ASSERT_TRUE(read.ok()) << read.problem().text();
  EXPECT_TRUE(read.value().notes.empty()) << read.value().notes.front();
  const Design& d = read.value().design;
  EXPECT_EQ(d.own, Tables{});
  EXPECT_EQ(d.glue, "aliphatic");
  EXPECT_EQ(d.inner().ribs.material, "balsa-160");
  EXPECT_EQ(d.inner().stiffening.covering, "film");
  EXPECT_EQ(d.inner().spars[0].webs, Webs::between);
  EXPECT_EQ(d.inner().spars[0].webGrain, Grain::upright);
  EXPECT_FALSE(d.inner().sheeting.carries);
}

/// A wing of version 7 had no load factors of its own.
TEST(DesignFile, LoadsVersionSeven) {
  const auto read = designFromText(test::slurp(test::testFile("version7.euptera")));
  ASSERT_TRUE(read.ok()) << read.problem().text();
  EXPECT_TRUE(read.value().notes.empty()) << read.value().notes.front();
  const Design& d = read.value().design;
  EXPECT_TRUE(d.own.loadFactors.empty());
  ASSERT_EQ(d.own.materials.size(), 1u);
  EXPECT_EQ(d.inner().spars[0].top.material, d.own.materials.front().key);
  EXPECT_EQ(d.flying.kind, "thermal");
  EXPECT_DOUBLE_EQ(test::wingOf(d).main().loads.front().factor, 8);
}

/// A wing of version 8 had two braces a join at most, each with keys of its own.
TEST(DesignFile, LoadsVersionEight) {
  const auto read = designFromText(test::slurp(test::testFile("version8.euptera")));
  ASSERT_TRUE(read.ok()) << read.problem().text();
  EXPECT_TRUE(read.value().notes.empty()) << read.value().notes.front();
  const std::vector<Bracing>& braces = read.value().design.inner().join.braces;
  ASSERT_EQ(braces.size(), 2u);
  EXPECT_EQ(braces[0].spar, 1);
  EXPECT_EQ(braces[0].side, BraceSide::both);
  EXPECT_EQ(braces[0].form, BraceForm::folded);
  EXPECT_DOUBLE_EQ(braces[0].thickness, 2);
  EXPECT_EQ(braces[1].spar, 2);
}

TEST(DesignFile, KeepsOwnRowsAndRefusesNamesThatNoTableHas) {
  Design d;
  d.own.materials.push_back({.key = "own-1", .label = "shed plank", .modulus = 4100});
  d.inner().spars[0].top.material = "own-1";
  const std::string text = designToText(d);
  const auto read = designFromText(text);
  ASSERT_TRUE(read.ok()) << read.problem().text();
  EXPECT_DOUBLE_EQ(read.value().design.own.named("own-1").modulus, 4100);
  auto json = test::jsonOf(text);
  json["own"]["materials"] = nlohmann::json::array();
  const auto without = designFromText(json.dump());
  ASSERT_FALSE(without.ok());
  EXPECT_EQ(without.problem().place, "/wings/0/panels/0/spars/0/top/material");
  EXPECT_NE(without.problem().cause.find("own-1"), std::string::npos);
}

TEST(DesignFile, WantsAWingAndAPanelAndNotTooMany) {
  const auto said = [](const std::function<void(nlohmann::json&)>& change) {
    auto json = test::jsonOf(designToText(Design{}));
    change(json);
    const auto read = designFromText(json.dump());
    return read.ok() ? std::string("read") : read.problem().text();
  };
  EXPECT_EQ(said([](auto&) {}), "read");
  EXPECT_NE(said([](auto& j) { j["wings"] = nlohmann::json::array(); }).find("/wings"), std::string::npos);
  EXPECT_NE(said([](auto& j) { j["wings"][0]["panels"] = nlohmann::json::array(); }).find("/wings/0/panels"),
            std::string::npos);
  EXPECT_NE(said([](auto& j) {
              for (int i = 0; i < mostWings; ++i) j["wings"].push_back(j["wings"][0]);
            }).find("there can be 5"),
            std::string::npos);
  const auto many = [](auto& j) {
    for (int i = 0; i < mostPanels; ++i) j["wings"][0]["panels"].push_back(j["wings"][0]["panels"][0]);
  };
  EXPECT_NE(said(many).find("there can be 8"), std::string::npos);
  EXPECT_NE(said([](auto& j) { j["wings"][0]["panels"][0] = 7; }).find("/wings/0/panels/0"), std::string::npos);
  EXPECT_NE(said([](auto& j) { j["wings"] = {{"name", "x"}}; }).find("a list was expected"), std::string::npos);
  // A list of numbers takes numbers only.
  EXPECT_NE(said([](auto& j) { j["wings"][0]["panels"][0]["join"]["packing"] = {"thick"}; }).find("packing"),
            std::string::npos);
  // A panel that is left out of an older file's groups takes its defaults, and says so.
  EXPECT_EQ(said([](auto& j) { j["wings"][0]["panels"][0].erase("join"); }), "read");
}

TEST(DesignFile, DemosLoadWithoutNotes) {
  for (const std::string& name : shipped::demoNames()) {
    const auto read = designFromText(*shipped::demo(name));
    ASSERT_TRUE(read.ok()) << name;
    EXPECT_TRUE(read.value().notes.empty()) << name;
  }
}

struct Damage {
  const char* what;
  const char* from;
  const char* to;
  const char* said;
};
class DamagedFile : public testing::TestWithParam<Damage> {};
TEST_P(DamagedFile, IsRefusedWithPlaceAndCause) {
  std::string text = designToText(Design{});
  const auto at = text.find(GetParam().from);
  ASSERT_NE(at, std::string::npos) << GetParam().what;
  text.replace(at, std::string(GetParam().from).size(), GetParam().to);
  const auto read = designFromText(text);
  ASSERT_FALSE(read.ok()) << GetParam().what;
  EXPECT_NE(read.problem().text().find(GetParam().said), std::string::npos)
      << GetParam().what << ": " << read.problem().text();
}
INSTANTIATE_TEST_SUITE_P(
    Files, DamagedFile,
    testing::Values(Damage{"foreign", "euptera-wing", "something-else", "/format"},
                    Damage{"too new", "\"version\": 21", "\"version\": 99", "newer program"},
                    Damage{"no version", "\"version\": 21", "\"version\": \"one\"", "/version"},
                    Damage{"negative version", "\"version\": 21", "\"version\": -1", "/version"},
                    Damage{"text for a number", "\"span\": 700.0", "\"span\": \"long\"",
                           "/wings/0/panels/0/panel/span"},
                    Damage{"overflow", "\"tipChord\": 160.0", "\"tipChord\": 1e999", ""},
                    Damage{"null", "\"tipChord\": 160.0", "\"tipChord\": null", "/wings/0/panels/0/panel/tipChord"},
                    Damage{"list for a group", "\"sections\": {", "\"sections\": [], \"was\": {", "/sections"},
                    Damage{"unknown choice", "\"kind\": \"square\"", "\"kind\": \"round\"", "/leadingEdge/kind"},
                    Damage{"unknown wood", "\"material\": \"spruce\"", "\"material\": \"granite\"", "granite"},
                    Damage{"bad digits", "\"naca\": \"2412\"", "\"naca\": \"24\"", "/wings/0/panels/0/sections/root"},
                    Damage{"number for yes", "\"top\": true", "\"top\": 1", "/sheeting/top"},
                    Damage{"two dihedrals", "\"rise\": 35.0", "\"rise\": 35.0, \"angleDeg\": 3", "/join/dihedral"},
                    Damage{"cut short", "\"panel\": {", "", "line"}));

/// One value beyond its limits does not cost the wing: the nearest that can be is taken, and said.
TEST(DesignFile, MendsAValueOutOfLimitsAndTellsIt) {
  const auto mended = [](const char* from, const char* to) {
    std::string text = designToText(Design{});
    text.replace(text.find(from), std::string(from).size(), to);
    auto read = designFromText(text);
    EXPECT_TRUE(read.ok()) << to << ": " << (read ? "" : read.problem().text());
    if (!read) return ReadDesign{};
    EXPECT_EQ(read.value().notes.size(), 1u) << to;
    EXPECT_EQ(outOfLimits(read.value().design), std::nullopt) << to;
    return std::move(read.value());
  };
  const ReadDesign negative = mended("\"rootChord\": 220.0", "\"rootChord\": -220.0");
  EXPECT_DOUBLE_EQ(negative.design.inner().panel.rootChord, 5);
  EXPECT_NE(negative.notes.front().find("/wings/0/panels/0/panel/rootChord"), std::string::npos);
  EXPECT_NE(negative.notes.front().find("5 was taken"), std::string::npos) << negative.notes.front();
  EXPECT_DOUBLE_EQ(mended("\"rootChord\": 220.0", "\"rootChord\": 1e9").design.inner().panel.rootChord, 3000);
  EXPECT_DOUBLE_EQ(mended("\"tipChord\": 160.0", "\"tipChord\": 0").design.inner().panel.tipChord, 5);
  EXPECT_EQ(mended("\"count\": 12", "\"count\": 12.5").design.inner().ribs.count, 12);
  EXPECT_EQ(mended("\"count\": 12", "\"count\": 1").design.inner().ribs.count, 2);
  EXPECT_EQ(mended("\"thick\": []", "\"thick\": [3, 900]").design.inner().ribs.thick, std::vector<int>{3});
  const std::string umlauts = "\xC3\xBC"; // two bytes, one letter
  std::string name;
  for (int i = 0; i < 200; ++i) name += umlauts;
  Design d;
  d.name = name;
  EXPECT_EQ(outOfLimits(d), std::nullopt) << "200 letters, not bytes";
  EXPECT_EQ(designFromText(designToText(d)).value().design.name, name);
  EXPECT_TRUE(decide(d, "name", name).ok());
  EXPECT_FALSE(decide(d, "name", name + "x").ok());
  d.name += "x";
  EXPECT_NE(outOfLimits(d), std::nullopt);
  EXPECT_EQ(designFromText(designToText(d)).value().design.name, name) << "cut by letters";
}

/// Texts are written as they are, whatever is in them: a backslash before the closing quote turned later ones round.
TEST(DesignFile, KeepsTextsWithBackslashesAndBrackets) {
  Design d;
  d.name = "ends in a backslash \\";
  d.wings[0].name = "[1, \n 2] \"quoted\"";
  d.inner().spars[0].name = "\\";
  d.plan.sheets.push_back({});
  d.plan.sheets.back().name = "C:\\plans\\";
  d.plan.sheets.back().level = {{1, 2}, {3.5, -4}};
  const std::string text = designToText(d);
  EXPECT_EQ(designFromText(text).value().design, d);
  EXPECT_NE(text.find("[3.5, -4.0]"), std::string::npos) << "a point reads as a point";
}

/// What a parser would spend minutes or all memory on is refused before it is let at it.
TEST(DesignFile, RefusesBombsQuickly) {
  const auto said = [](const std::string& text) {
    const auto read = designFromText(text);
    return read ? std::string("read") : read.problem().text();
  };
  std::string deep = "{\"format\": \"euptera-wing\", \"version\": 1, \"panel\": ";
  deep.append(200'000, '[').append(200'000, ']');
  EXPECT_NE(said(deep + "}").find("nested"), std::string::npos);
  std::string many = "[";
  for (int i = 0; i < 1'100'000; ++i) many += "[],";
  EXPECT_NE(said(many + "[]]").find("more values"), std::string::npos);
  std::string names = "{\"format\": \"euptera-wing\"";
  for (int i = 0; i < 100'000; ++i) names += ",\"k" + std::to_string(i) + "\":1";
  EXPECT_NE(said(names + "}").find("names"), std::string::npos);
  EXPECT_FALSE(readTables(names + "}").ok());
  // Brackets in a text are none.
  EXPECT_EQ(said("\"" + std::string(1000, '[') + "\"").find("nested"), std::string::npos);
}

/// What comes from limits for typing is the same as for reading: every number at its limits, one by one.
TEST(DesignFile, LimitsAreOneForTypingAndReading) {
  Design d = demoDesign("oldacre-1320");
  std::set<std::string> kinds; // of the same decision of several panels and spars one is enough
  for (const Decision& decision : decisionsOf(d)) {
    if (decision.limits.low >= decision.limits.high) continue;
    std::string kind = decision.path;
    std::erase_if(kind, [](char c) { return c >= '0' && c <= '9'; });
    if (!kinds.insert(kind).second) continue;
    for (const double at : {decision.limits.low, decision.limits.high}) {
      const auto next = decideValue(d, decision.path, at);
      ASSERT_TRUE(next.ok()) << decision.path;
      EXPECT_EQ(outOfLimits(next.value()), std::nullopt) << decision.path << " " << at;
      const auto read = designFromText(designToText(next.value()));
      ASSERT_TRUE(read.ok()) << decision.path << " " << at;
      EXPECT_TRUE(read.value().notes.empty()) << decision.path << ": " << read.value().notes.front();
    }
  }
}

TEST(DesignFile, SaysWhereJsonBreaks) {
  std::string text = designToText(Design{});
  text.insert(text.find("\"span\""), "oops ");
  const auto read = designFromText(text);
  ASSERT_FALSE(read.ok());
  EXPECT_NE(read.problem().place.find("line"), std::string::npos);
  const auto cut = designFromText(std::string_view(text).substr(0, 200));
  ASSERT_FALSE(cut.ok());
  for (const char* odd : {"", "\0", "[]", "42", "\"text\"", "{}", "null", "{\"format\": 7}"})
    EXPECT_FALSE(designFromText(odd).ok()) << odd;
  EXPECT_FALSE(designFromText(std::string(200000, '[')).ok()) << "deep nesting";
  EXPECT_FALSE(designFromText(std::string(1000, '\xff')).ok()) << "not text";
}

TEST(DesignFile, HostileSectionsAreRefused) {
  // As version 1 wrote sections; they are brought up to date and then checked like any other.
  auto json = test::jsonOf(designToText(Design{}));
  json["version"] = 1;
  json.erase("plan");
  const auto with = [&](const std::string& section) {
    json["sections"] = {{"root", test::jsonOf(section)}, {"tip", {{"naca", "2412"}}}};
    return json.dump();
  };
  EXPECT_TRUE(
      designFromText(
          with(
              R"({"name": "fine", "smooth": true, "upper": [[0,0],[0.3,0.1],[1,0]], "lower": [[0,0],[0.3,-0.05],[1,0]]})"))
          .ok());
  for (const char* bad :
       {R"({})", R"({"upper": [], "lower": []})", R"({"upper": [[0,0],[1,0]], "lower": [[0,0],[1,0]]})",
        R"({"upper": [[0,0],[0.5,0.1],[1]], "lower": [[0,0],[0.5,-0.1],[1,0]]})",
        R"({"upper": [[0,0],[0.5,1e300],[1,0]], "lower": [[0,0],[0.5,-0.1],[1,0]]})",
        R"({"upper": [[0,0],[0.5,-0.1],[1,0]], "lower": [[0,0],[0.5,0.1],[1,0]]})",
        R"({"upper": [[0,0],[0.6,0.1],[0.3,0.12],[1,0]], "lower": [[0,0],[0.5,-0.1],[1,0]]})",
        R"({"upper": [[0,0],[0.5,0.1],[1,0]], "lower": "x"})"})
    EXPECT_FALSE(designFromText(with(bad)).ok()) << bad;
}

TEST(DesignFile, NotesWhatIsMissingAndWhatIsNotKnown) {
  const auto read = designFromText(
      R"({"format": "euptera-wing", "version": 1, "panel": {"halfSpan": 500, "colour": "red"}, "engine": 3})");
  ASSERT_TRUE(read.ok()) << read.problem().text();
  EXPECT_DOUBLE_EQ(read.value().design.inner().panel.span, 500);
  std::string all;
  for (const auto& note : read.value().notes) all += note + "\n";
  EXPECT_NE(all.find("/wings/0/panels/0/panel/colour"), std::string::npos) << all;
  EXPECT_NE(all.find("/engine"), std::string::npos) << all;
  EXPECT_NE(all.find("/wings/0/panels/0/panel/rootChord is missing"), std::string::npos) << all;
}

RC_GTEST_PROP(DesignFile, AnyDamageIsSurvived, ()) {
  std::string text = designToText(Design{});
  const int cuts = *rc::gen::inRange(1, 5);
  for (int i = 0; i < cuts; ++i) {
    const auto at = static_cast<std::size_t>(*rc::gen::inRange(0, static_cast<int>(text.size()) - 1));
    text[at] = *rc::gen::elementOf(std::string("0{}[]\",:-e9 .\xff\n"));
  }
  const auto read = designFromText(text);
  if (!read)
    RC_ASSERT(!read.problem().text().empty());
  else
    (void)work(read.value().design); // whatever loads can be worked, or says why not
}

TEST(DesignFile, ANumberTooLargeIsToldByItsLine) {
  std::string text = designToText(Design{});
  const auto at = text.find("\"span\": ") + 8;
  text.insert(at, "1e999, \"was\": ");
  const auto read = designFromText(text);
  ASSERT_FALSE(read.ok());
  const auto line = 1 + std::count(text.begin(), text.begin() + static_cast<std::ptrdiff_t>(at), '\n');
  EXPECT_EQ(read.problem().text(), fmt::format("line {}: the number 1e999 is too large to be read", line));
}

} // namespace
} // namespace eup
