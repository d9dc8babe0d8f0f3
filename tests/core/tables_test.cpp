// The tables of materials, a builder's own rows, and the bend test.
#include "core/described/decisions.h"
#include "core/described/design_file.h"
#include "core/design/bend_test.h"
#include "core/files/json.h"
#include "support.h"

namespace eup {
namespace {

using test::figureOf;
using test::wingOf;

TEST(Tables, EveryShippedRowIsInOrderAndSaysWhereItIsFrom) {
  const Tables& all = shippedTables();
  ASSERT_GE(all.materials.size(), 28u);
  for (const Material& m : all.materials) {
    EXPECT_GE(m.source.size(), 10u) << m.key;
    EXPECT_LE(m.across, m.modulus * 1.0001 + (m.key.find("-across") != std::string::npos ? 1e6 : 0)) << m.key;
    EXPECT_GT(m.compressionAcross, 0) << m.key;
    if (m.key.find("-across") == std::string::npos) { // of ply laid across, the other way is the stronger one
      EXPECT_LE(m.compressionAcross, m.compression) << m.key;
    }
    EXPECT_LE(m.shearStrength, std::max(m.tension, 9.0)) << m.key;
    EXPECT_LT(m.shear, m.modulus * 1.5) << m.key; // ply at 45° is stiffer in shear than along
  }
  EXPECT_EQ(all.coverings.front().key, uncovered);
  EXPECT_EQ(all.coverings.front().shear + all.coverings.front().areaWeight, 0);
  ASSERT_GE(all.glues.size(), 5u);
}

/// Balsa from 80 to 280 kg/m³: heavier is stiffer and stronger in every way, about in proportion.
TEST(Tables, BalsaGoesByItsDensity) {
  const Material* last = nullptr;
  for (const Material& m : shippedTables().materials) {
    if (!m.key.starts_with("balsa-")) continue;
    EXPECT_NEAR(m.modulus / m.density, 3400.0 / 160, 1.1) << m.key;
    EXPECT_NEAR(m.compression / m.density, 14.9 / 160, 0.003) << m.key;
    for (const Column<Material>& c : materialColumns)
      EXPECT_GT(m.*c.value, last ? last->*c.value : 0) << m.key << c.key;
    last = &m;
  }
  ASSERT_NE(last, nullptr);
  EXPECT_DOUBLE_EQ(last->density, 280);
}

TEST(Tables, AFileOfRowsComesBackAndABadOneSaysWhere) {
  Tables own;
  own.materials.push_back({.key = "own-1", .label = "shed “plank”, 3 × 10", .modulus = 4123.5});
  own.coverings.push_back({.key = "own-1", .label = "gift wrap", .shear = 3});
  own.glues.push_back({.key = "own-1", .label = "old pot"});
  own.loadFactors.push_back({.key = "own-1", .label = "club pylon", .pull = 18});
  const auto read = readTables(tablesToText(own));
  ASSERT_TRUE(read.ok()) << read.problem().text();
  EXPECT_EQ(read.value(), own);
  const auto said = [&](const std::function<void(nlohmann::json&)>& change) {
    auto json = test::jsonOf(tablesToText(own));
    change(json);
    const auto back = readTables(json.dump());
    return back.ok() ? std::string("read") : back.problem().text();
  };
  EXPECT_NE(said([](auto& j) { j["materials"][0]["modulusMPa"] = -1; }).find("materials, row 1: modulusMPa"),
            std::string::npos);
  EXPECT_NE(said([](auto& j) { j["glues"][0].erase("peelNmm"); }).find("glues, row 1: peelNmm"), std::string::npos);
  EXPECT_NE(said([](auto& j) { j["coverings"][0]["label"] = ""; }).find("coverings, row 1: label"), std::string::npos);
  EXPECT_NE(said([](auto& j) { j["coverings"][0]["label"] = std::string("a\0b", 3); }).find("label"),
            std::string::npos);
  EXPECT_NE(said([](auto& j) { j["materials"].push_back(j["materials"][0]); }).find("there twice"), std::string::npos);
  EXPECT_NE(said([](auto& j) { j["materials"] = 7; }).find("a list was expected"), std::string::npos);
  EXPECT_NE(said([](auto& j) { j["loadFactors"][0]["pull"] = 51; }).find("loadFactors, row 1: pull"),
            std::string::npos);
  EXPECT_FALSE(readTables("not json").ok());
  EXPECT_FALSE(readTables("{}").ok());
  EXPECT_FALSE(readTables("[]").ok());
}

TEST(Tables, OwnRowsAreChosenByNameAndReckonedWith) {
  Design d;
  d.own.materials.push_back(*Tables{}.find("spruce"));
  d.own.materials.back().key = freshKey(d.own.materials), d.own.materials.back().label = "shed spruce";
  d.own.materials.back().modulus *= 2;
  const std::string path = pathOf({}) + "spars.0.top.material";
  const auto chosen = decide(d, path, "shed spruce");
  ASSERT_TRUE(chosen.ok()) << chosen.problem().text();
  EXPECT_EQ(chosen.value().inner().spars[0].top.material, "own-1");
  EXPECT_FALSE(decide(Design{}, path, "shed spruce").ok());
  const auto uses = usesOf(chosen.value(), Shelf::material, "own-1");
  ASSERT_EQ(uses.size(), 1u);
  EXPECT_EQ(uses.front(), "main spar, top cap: Of");
  // Twice as stiff above: by hand, EI of two materials about their weighted axis.
  const TrueWing w = wingOf(chosen.value());
  const SparSection& s = w.inner().strength.bending.spars[0].root;
  const Cap &top = w.design.inner().spars[0].top, &bottom = w.design.inner().spars[0].bottom;
  const double e1 = 21600, e2 = 10800, a1 = top.width * top.depth, a2 = bottom.width * bottom.depth;
  const double z1 = s.upperOuter - top.depth / 2, z2 = s.lowerOuter + bottom.depth / 2;
  const double axis = (e1 * a1 * z1 + e2 * a2 * z2) / (e1 * a1 + e2 * a2);
  const double ei = e1 * a1 * (top.depth * top.depth / 12 + (z1 - axis) * (z1 - axis)) +
                    e2 * a2 * (bottom.depth * bottom.depth / 12 + (z2 - axis) * (z2 - axis));
  EXPECT_NEAR(figureOf(w, "spar.1.stiffness"), ei, 1e-6 * ei);
}

TEST(Tables, AnOwnCoveringStiffensAndWeighsWhatItSays) {
  Design d;
  const TrueWing bare = wingOf(d);
  d.own.coverings.push_back({.key = "own-1", .label = "my silk", .shear = 40, .areaWeight = 100});
  d.inner().stiffening.covering = "own-1";
  const TrueWing w = wingOf(d);
  ASSERT_TRUE(w.inner().strength.twist && bare.inner().strength.twist);
  EXPECT_LT(w.inner().strength.twist->twist, 0.8 * bare.inner().strength.twist->twist);
  // Both faces: 2 × mean chord × span × 100 g/m².
  const double area = (220.0 + 160.0) / 2 * 700 * 1e-6;
  EXPECT_NEAR(w.inner().mass.gramsOf(Part::What::covering), 2 * area * 100, 0.01);
}

/// Frames are of the wood that is chosen: ribs of twice the density weigh twice as much.
TEST(Tables, TheFramesWoodCounts) {
  Design d;
  const auto grams = [&](PartMass::What what) {
    const TrueWing w = wingOf(d);
    for (const PartMass& p : w.inner().mass.parts)
      if (p.what == what) return p.grams;
    return 0.0;
  };
  const double ribs = grams(PartMass::What::ribs), edge = grams(PartMass::What::leadingEdge),
               tail = grams(PartMass::What::trailingEdge), sheet = grams(PartMass::What::sheet);
  d.inner().ribs.material = "balsa-80";
  d.inner().leadingEdge.material = "balsa-80", d.inner().trailingEdge.material = "balsa-80";
  d.inner().sheeting.material = "balsa-80";
  EXPECT_NEAR(grams(PartMass::What::ribs), ribs / 2, 1e-9);
  EXPECT_NEAR(grams(PartMass::What::leadingEdge), edge / 2, 1e-9);
  EXPECT_NEAR(grams(PartMass::What::trailingEdge), tail / 2, 1e-9);
  EXPECT_NEAR(grams(PartMass::What::sheet), sheet / 2, 1e-9);
}

// A beam on two edges, F l³ ÷ 48 E I, and a cantilever, F l³ ÷ 3 E I (bending theory of beams), worked by hand: strip
// of 10 × 3 mm, I = 22.5 mm⁴; 100 g are 0.980665 N. 300 mm and 5 mm of sag: E = 0.980665 × 2.7e7 ÷ (48 × 22.5 × 5) =
// 4903.
TEST(BendTestOfAStrip, GivesTheModulusOfABeam) {
  const BendTest t{BendHold::bothEnds, 10, 3, 300, 100, 5, 914, 5};
  EXPECT_NEAR(bentModulus(t), 4903.3, 0.1);
  BendTest clamped = t;
  clamped.hold = BendHold::oneEnd, clamped.span = 150; // half of it, half of the load: the same bend
  clamped.load = 50;
  EXPECT_NEAR(bentModulus(clamped), 4903.3, 0.1);
  EXPECT_NEAR(densityOf(t), 5 / (1.0 * 0.3 * 91.4) * 1000, 1e-6); // g and cm
}

TEST(BendTestOfAStrip, GivesARowWithStrengthsInProportion) {
  const Material& like = Tables{}.named("balsa-160");
  const auto made = materialFrom({BendHold::bothEnds, 10, 3, 300, 100, 5, 914, 5}, like, "shed strip");
  ASSERT_TRUE(made.ok()) << made.problem().text();
  const Material& m = made.value();
  EXPECT_DOUBLE_EQ(m.modulus, 4900); // three figures
  EXPECT_NEAR(m.compression / m.modulus, like.compression / like.modulus, 1e-4);
  EXPECT_NEAR(m.shear / m.modulus, like.shear / like.modulus, 1e-3);
  EXPECT_NE(m.source.find("bend test"), std::string::npos);
  EXPECT_NE(m.source.find("balsa, medium"), std::string::npos);
  EXPECT_LE(m.source.size(), 200u);
}

TEST(BendTestOfAStrip, RefusesWhatCannotBe) {
  const Material& like = Tables{}.named("balsa-160");
  const BendTest good{BendHold::bothEnds, 10, 3, 300, 100, 5, 914, 5};
  const auto said = [&](auto change, const std::string& name = "strip") {
    BendTest t = good;
    change(t);
    const auto made = materialFrom(t, like, name);
    return made.ok() ? std::string("made") : made.problem().text();
  };
  EXPECT_EQ(said([](BendTest&) {}), "made");
  EXPECT_NE(said([](BendTest& t) { t.sag = 0; }).find("sag"), std::string::npos);
  EXPECT_NE(said([](BendTest& t) { t.width = -3; }).find("width"), std::string::npos);
  EXPECT_NE(said([](BendTest& t) { t.load = std::nan(""); }).find("load"), std::string::npos);
  EXPECT_NE(said([](BendTest& t) { t.sag = 40; }).find("tenth of the span"), std::string::npos);
  EXPECT_NE(said([](BendTest& t) { t.span = 40, t.sag = 0.1; }).find("15 times"), std::string::npos);
  EXPECT_NE(said([](BendTest& t) { t.sag = 1e-7; }).find("comes out"), std::string::npos);
  EXPECT_NE(said([](BendTest& t) { t.weight = 1e5; }).find("comes out"), std::string::npos);
  EXPECT_NE(said([](BendTest&) {}, "").find("name"), std::string::npos);
}

} // namespace
} // namespace eup
