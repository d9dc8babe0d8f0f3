// Every member of every decision is described: one that is not would be lost when saving. The compiler counts a
// struct's members; the description is counted by walking it.
#include "core/described/design_file.h"
#include "core/described/visitor.h"
#include "core/files/shipped.h"
#include "support.h"

namespace eup {
namespace {

/// Stands for any value, to find out how many of them a struct takes.
struct Anything {
  template <class T> operator T() const;
};

template <class T, class... Members> constexpr std::size_t membersOf() {
  if constexpr (requires { T{Members{}..., Anything{}}; })
    return membersOf<T, Members..., Anything>();
  else
    return sizeof...(Members);
}

/// Counts what is described, by the group that it stands in.
class Counter : public Visitor {
public:
  using Visitor::group;
  std::map<std::string, int> in; ///< by the path of the group, list places as 0
  template <class F> void group(const char* key, Topic topic, int, F inside) { group(key, topic, inside); }
  void group(const char* key, Topic, int, Inside inside) override {
    const std::string before = path;
    if (*key) path += (path.empty() ? "" : ".") + std::string(key);
    inside();
    path = before;
  }
  void hidden(const char* key, Inside inside) override { group(key, Topic::none, inside); }
  void items(const char* key, Topic, ListRef all, int, bool, Each each) override {
    one(key);
    all.resize(1);
    group(key, Topic::none, [&] { each(0); });
  }
  void length(const char* key, const char*, double&, Limits, bool) override { one(key); }
  void angle(const char* key, const char*, double&, Limits, bool) override { one(key); }
  void fraction(const char* key, const char*, double&, Limits, bool) override { one(key); }
  void number(const char* key, const char*, double&, Limits, bool) override { one(key); }
  void mass(const char* key, const char*, double&, Limits, bool) override { one(key); }
  void count(const char* key, const char*, int&, Limits, bool) override { one(key); }
  void flag(const char* key, const char*, bool&, bool) override { one(key); }
  void text(const char* key, const char*, std::string&, bool) override { one(key); }
  void lasting(const char* key, int&) override { one(key); }
  void freeText(const char* key, std::string&) override { one(key); }
  void day(const char* key, const char*, std::string&) override { one(key); }
  void digits(const char* key, const char*, std::string&, bool) override { one(key); }
  void listed(const char* key, const char*, std::string&, Shelf, bool) override { one(key); }
  void chosen(const char* key, const char*, std::size_t&, std::span<const Choice>, bool) override { one(key); }
  void stations(const char* key, const char*, std::vector<double>&, bool) override { one(key); }
  void numbers(const char* key, const char*, std::vector<int>&, bool) override { one(key); }
  void shares(const char* key, const char*, std::vector<double>&, bool) override { one(key); }
  void points(const char* key, Polyline&, std::size_t) override { one(key); }
  void outline(const char* key, const char*, Polyline&, bool) override { one(key); }
  void bytes(const char* key, EmbeddedCopy&) override { one(key); }
  void dihedral(const char* key, Dihedral&, double, bool) override { one(key); }
  int at(const std::string& where) const {
    const auto found = in.find(where);
    return found == in.end() ? 0 : found->second;
  }

private:
  void one(const char*) { ++in[path]; }
  std::string path;
};

TEST(Described, EveryMemberIs) {
  Design d;
  d.wings.front().struts.emplace_back();
  Counter c;
  describe(d, c);
  const std::string p = "wings.panels.";
  EXPECT_EQ(c.at(p + "left"), static_cast<int>(membersOf<LeftHand>()));
  EXPECT_EQ(c.at("wings.struts"), static_cast<int>(membersOf<Strut>()));
  EXPECT_EQ(c.at("wings.posts"), static_cast<int>(membersOf<Posts>()));
  EXPECT_EQ(c.at(p + "panel"), static_cast<int>(membersOf<Panel>()));
  EXPECT_EQ(c.at(p + "ribs"), static_cast<int>(membersOf<Ribs>()));
  EXPECT_EQ(c.at(p + "riblets"), static_cast<int>(membersOf<Riblets>()));
  const auto run = static_cast<int>(membersOf<SheetRun>() - 1 + membersOf<SkinSheet>());
  EXPECT_EQ(c.at(p + "sheeting") + 2, static_cast<int>(membersOf<Sheeting>()) + run)
      << "its run is its base, another below";
  EXPECT_EQ(c.at(p + "sheeting.below"), run);
  EXPECT_EQ(c.at(p + "cloth"), static_cast<int>(membersOf<Cloth>()));
  EXPECT_EQ(c.at(p + "sheet"), static_cast<int>(membersOf<SheetPanel>()));
  EXPECT_EQ(c.at(p + "capStrips"), static_cast<int>(membersOf<CapStrips>()));
  EXPECT_EQ(c.at(p + "leadingEdge"), static_cast<int>(membersOf<LeadingEdge>()));
  EXPECT_EQ(c.at(p + "trailingEdge"), static_cast<int>(membersOf<TrailingEdge>()));
  EXPECT_EQ(c.at(p + "spars") + 2, static_cast<int>(membersOf<Spar>())) << "its caps are groups of their own";
  EXPECT_EQ(c.at(p + "spars.top"), static_cast<int>(membersOf<Cap>()));
  EXPECT_EQ(c.at(p + "spars.bottom"), static_cast<int>(membersOf<Cap>()));
  EXPECT_EQ(c.at(p + "stiffening"), static_cast<int>(membersOf<Stiffening>()));
  EXPECT_EQ(c.at(p + "join") + 1, static_cast<int>(membersOf<Join>())) << "the joiner: a group of its own";
  EXPECT_EQ(c.at(p + "join.braces"), static_cast<int>(membersOf<Bracing>()));
  EXPECT_EQ(c.at(p + "joiner"), static_cast<int>(membersOf<Joiner>()));
  EXPECT_EQ(c.at(p + "tip"), static_cast<int>(membersOf<Tip>()));
  EXPECT_EQ(c.at("flying"), static_cast<int>(membersOf<Flying>()));
  EXPECT_EQ(c.at("wings.surface") + c.at("wings") + 1, static_cast<int>(membersOf<Wing>())) << "and its posts";
}

TEST(Described, TheCompilerCountsMembers) {
  struct Three {
    int a = 1;
    std::string b;
    std::vector<double> c{1, 2};
  };
  EXPECT_EQ(membersOf<Three>(), 3u);
}

/// What older files lack is what version 8 had, whatever a new wing has today.
TEST(Described, DefaultsOfOldFilesAreFrozen) {
  const auto frozen = designFromText(shipped::newWingOfVersion8());
  ASSERT_TRUE(frozen.ok()) << frozen.problem().text();
  EXPECT_TRUE(frozen.value().notes.empty());
  const Design& d = frozen.value().design;
  EXPECT_DOUBLE_EQ(d.flying.airSpeed, 12);
  EXPECT_DOUBLE_EQ(d.inner().join.joiner.sleeve, 9);
  EXPECT_DOUBLE_EQ(d.inner().tip.radius, 25);
  EXPECT_EQ(d.inner().ribs.material, "balsa-160");
  EXPECT_EQ(d.glue, "aliphatic");
  EXPECT_DOUBLE_EQ(d.inner().spars[0].top.doubledTo, 0.4);
}

} // namespace
} // namespace eup
