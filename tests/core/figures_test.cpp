#include "core/described/decisions.h"
#include "core/exchange/report.h"
#include "core/files/json.h"
#include "core/takeaway/take_away.h"
#include "places.h"
#include "support.h"
#include <set>

namespace eup {
namespace {

using test::wingOf;

TEST(Figures, EachShowsItsWorking) {
  for (const LengthUnit unit : {LengthUnit::mm, LengthUnit::inch}) {
    Design d;
    d.unit = unit;
    d.inner().join.propping = Propping::oneFlat;
    const TrueWing w = wingOf(d);
    std::set<std::string> keys;
    for (const Figure& f : figuresOf(w)) {
      EXPECT_TRUE(keys.insert(f.key).second) << "twice: " << f.key;
      EXPECT_FALSE(f.label.empty()) << f.key;
      EXPECT_FALSE(f.rule.empty()) << f.key;
      EXPECT_FALSE(f.source.empty()) << f.key;
      for (const std::string& path : f.decisions)
        EXPECT_TRUE(decisionAt(d, path).has_value()) << f.key << " names " << path;
    }
    EXPECT_GT(keys.size(), 200u);
  }
}

TEST(Figures, KeysAreDocumented) {
  const std::string doc = test::slurp(test::sourceFile("docs/figures.md"));
  for (const Figure& f : figuresOf(wingOf(Design{}))) {
    std::string key = f.key; // numbers of ribs and spars stand as N and K in the table
    for (std::size_t i = 0; i + 1 < key.size(); ++i)
      if (key[i] == '.' && std::isdigit(static_cast<unsigned char>(key[i + 1]))) {
        std::size_t end = i + 1;
        while (end < key.size() && std::isdigit(static_cast<unsigned char>(key[end]))) ++end;
        key.replace(i + 1, end - i - 1, key.substr(0, i).ends_with("spar") ? "K" : "N");
      }
    if (key.starts_with("setup.") && key.find("spar") != std::string::npos) key = "setup.N.sparK";
    EXPECT_NE(doc.find("`" + key + "`"), std::string::npos) << key;
  }
}

TEST(Figures, FindingsNameDecisionsThatAreThere) {
  Design d;
  d.inner().spars[0].top.depth = 30;
  d.flying.mass = 9000;
  d.inner().panel.tipSetback = 200;
  d.inner().panel.washoutDeg = -3;
  d.inner().join.braces[0].toRib = 50;
  const TrueWing w = wingOf(d);
  EXPECT_GE(findingsOf(w).size(), 5u);
  EXPECT_EQ(findingsOf(w).front().severity, Severity::serious) << "the worst comes first";
  for (const Finding& f : findingsOf(w)) {
    EXPECT_FALSE(f.remedy.empty()) << f.key;
    for (const std::string& path : f.decisions)
      EXPECT_TRUE(decisionAt(d, path).has_value()) << f.key << " names " << path;
  }
}

TEST(Figures, WorkIsPure) {
  const TrueWing a = wingOf(Design{}), b = wingOf(Design{});
  const std::vector<Figure> one = figuresOf(a), other = figuresOf(b);
  ASSERT_EQ(one.size(), other.size());
  for (std::size_t i = 0; i < one.size(); ++i) {
    EXPECT_EQ(one[i].value, other[i].value);
    EXPECT_EQ(one[i].working, other[i].working);
  }
}

TEST(Stations, HaveARowARibAndOneWidth) {
  Design d;
  d.inner().ribs.count = 400;
  const Table t = stationTable(wingOf(d));
  EXPECT_EQ(t.rows.size(), 400u);
  for (const auto& row : t.rows) ASSERT_EQ(row.size(), t.columns.size());
  EXPECT_EQ(toCsv({{"a", "b"}, {{"1,5", "say \"x\""}}}), "a,b\r\n\"1,5\",\"say \"\"x\"\"\"\r\n");
}

TEST(Report, IsJsonEvenWithOddNames) {
  Design d;
  d.name = "quote \" and \xff byte";
  const TrueWing w = wingOf(d);
  const auto json = test::jsonOf(reportJson(w.design.name, figuresOf(w), findingsOf(w)));
  EXPECT_EQ(json["figures"].size(), figuresOf(w).size());
  for (const char* key : {"key", "label", "value", "unit", "where", "rule", "working", "source"})
    EXPECT_TRUE(json["figures"][0].contains(key)) << key;
}

TEST(InchDocument, ShowsInchesAsFractions) {
  Design d;
  d.unit = LengthUnit::inch;
  d.inner().panel.span = 762;
  const TrueWing w = wingOf(d);
  EXPECT_EQ(shown(*figureNamed(w, "panel.span"), LengthUnit::inch).number, "60\"");
  EXPECT_NE(figureNamed(w, "panel.span")->working.find("30\""), std::string::npos);
  EXPECT_EQ(told(figureNamed(w, "panel.area")->value, Quantity::area, LengthUnit::mm).find("in"), std::string::npos);
}

} // namespace
} // namespace eup
