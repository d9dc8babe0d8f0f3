// Zones of skin: what lies round the nose, over bays and on either face; joints, cloth, webs on their caps' faces;
// against curves, areas and weights reckoned another way.
#include "core/described/decisions.h"
#include "core/described/design_file.h"
#include "core/described/validate.h"
#include "core/geometry/polyline.h"
#include "core/joins/sawn_ends.h"
#include "core/measure/units.h"
#include "core/strength/d_box.h"
#include "places.h"
#include "support.h"
#include <numeric>
#include <rapidcheck/gtest.h>

namespace eup {
namespace {

using test::figureOf;
using test::hasFinding;
using test::wingOf;

constexpr double chord = 200, span = 600;

Design plain() {
  Design d = test::bareDesign();
  PanelDesign& p = d.inner();
  p.panel = test::panelOf(span, chord, chord);
  p.sections.root.naca = p.sections.tip.naca = "2412";
  p.spars = {Spar{}};
  p.ribs.count = 7;
  p.leadingEdge.kind = LeadingEdgeKind::square, p.leadingEdge.width = 7;
  p.trailingEdge.kind = TrailingEdgeKind::none;
  p.join.dihedral = {DihedralBy::angle, 0};
  return d;
}

const Skin* skinOf(const TrueWing& w, const std::string& key) {
  for (const Skin& s : w.inner().skins)
    if (s.key == key) return &s;
  return nullptr;
}

/// Along a side of a 2412 between two places of its chord, by its formula (NACA Report 460).
double arcOf(bool upper, double from, double to) {
  double sum = 0;
  Point last(0, 0);
  constexpr int steps = 60000;
  for (int i = 1; i <= steps; ++i) {
    const double s = static_cast<double>(i) / steps, x = s * s, m = 0.02, p = 0.4;
    const double t = 0.6 * (0.2969 * s - 0.1260 * x - 0.3516 * x * x + 0.2843 * x * x * x - 0.1015 * x * x * x * x),
                 c = x < p ? m / (p * p) * (2 * p * x - x * x)
                           : m / ((1 - p) * (1 - p)) * (1 - 2 * p + 2 * p * x - x * x),
                 a = std::atan(x < p ? 2 * m / (p * p) * (p - x) : 2 * m / ((1 - p) * (1 - p)) * (p - x)),
                 side = upper ? 1 : -1;
    const Point at(chord * (x - side * t * std::sin(a)), chord * (c + side * t * std::cos(a)));
    if (at.x() > chord * to && s > 0.05) return sum;
    if (from <= 0 || at.x() > chord * from) sum += (at - last).norm();
    last = at;
  }
  return sum;
}

// 2412, LE to 30 % of the chord: 0.3224 c above, 0.3123 c below.
TEST(Zones, RunOverTheStockOrBehindIt) {
  Design d = plain();
  d.inner().sheeting.top = d.inner().sheeting.bottom = true, d.inner().sheeting.fraction = 0.3;
  const TrueWing behind = wingOf(d);
  d.inner().sheeting.from = NoseFrom::overStock;
  const TrueWing over = wingOf(d);
  EXPECT_NEAR(skinOf(over, "nose.top")->pattern.innerWidth, 0.3224 * chord, 0.03);
  EXPECT_NEAR(skinOf(over, "nose.bottom")->pattern.innerWidth, 0.3123 * chord, 0.03);
  EXPECT_NEAR(skinOf(behind, "nose.top")->pattern.innerWidth, arcOf(true, 7.0 / chord, 0.3), 0.1);
  // The stock lies under it, thinner by both sheets; ribs are cut alike.
  const auto stock = [](const TrueWing& w) {
    const TruePanel& p = w.inner();
    return areaOf(besideRib(p.design, p.shape.loft, p.frame.ribs[2]).leadingStock);
  };
  EXPECT_GT(stock(behind), stock(over) + 2 * 1.5 * 5);
  EXPECT_DOUBLE_EQ(over.inner().frame.ribs[2].cutArea, behind.inner().frame.ribs[2].cutArea);
  EXPECT_NEAR(over.inner().frame.ribs[2].upperRun.sheetWood, 0.3224 * chord, 0.03);
}

TEST(Zones, BelowMayBeAnother) {
  Design d = plain();
  Sheeting& s = d.inner().sheeting;
  s.top = s.bottom = true, s.fraction = 0.4, s.thickness = 2;
  const TrueWing same = wingOf(d);
  s.ownBelow = true;
  s.below.fraction = 0.2, s.below.thickness = 1, s.below.material = "balsa-80";
  const TrueWing w = wingOf(d);
  const Rib& rib = w.inner().frame.ribs[3];
  EXPECT_NEAR(rib.upperRun.sheetArc, arcOf(true, 0, 0.4), 0.1);
  EXPECT_NEAR(rib.lowerRun.sheetArc, arcOf(false, 0, 0.2), 0.1);
  // What is cut off the rib more or less is the lower sheet's: 1 mm to 20 % and not 2 mm to 40 %.
  EXPECT_NEAR(rib.cutArea - same.inner().frame.ribs[3].cutArea,
              2 * arcOf(false, 7 / chord, 0.4) - 1 * arcOf(false, 7 / chord, 0.2), 2.5);
  EXPECT_EQ(skinOf(w, "nose.bottom")->of.material, "balsa-80");
  EXPECT_NEAR(figureOf(w, "skin.nose.bottom.innerWidth"), arcOf(false, 7 / chord, 0.2), 0.1);
  // As on top again it is as it was.
  s.below = s;
  EXPECT_NEAR(wingOf(d).inner().frame.ribs[3].cutArea, same.inner().frame.ribs[3].cutArea, 0.02);
}

/// Bredt with two walls: 4 A² ÷ Σ l/(G t), by a rectangle's own numbers and by the wing's.
TEST(Zones, TheNoseBoxHasTwoWalls) {
  Design d = plain();
  Sheeting& s = d.inner().sheeting;
  s.top = s.bottom = true, s.to = SheetTo::sparRear, s.thickness = 1;
  const double thin = figureOf(wingOf(d), "box.torsion");
  s.ownBelow = true, s.below = s;
  EXPECT_NEAR(figureOf(wingOf(d), "box.torsion"), thin, 1e-6 * thin);
  s.below.thickness = 2;
  const TrueWing w = wingOf(d);
  const NoseBox& box = *w.inner().strength.noseBox;
  const double above = arcOf(true, 0, 0.3) - 0.8, below = arcOf(false, 0, 0.3) - 1.2; // mid lines round a nose
  const double want = 4 * box.area * box.area / (above / 1 + below / 2 + box.webDepth / 1.5);
  EXPECT_NEAR(box.torsion, want, 0.02 * want);
  s.below.thickness = 1;
  d.inner().cloth.top = d.inner().cloth.bottom = 2, d.inner().cloth.gsm = 50;
  const Material &wood = Tables{}.named("balsa-160"), &glass = Tables{}.named("glass-cloth");
  const double layer = 2 * 50 * 2 / glass.density, stiffer = 1 + glass.shear * layer / (wood.shear * 1);
  EXPECT_NEAR(figureOf(wingOf(d), "box.torsion"), thin * stiffer, 0.02 * thin * stiffer);
}

SheetedBays between(double from, double to) {
  SheetedBays bays;
  bays.fromRib = 2, bays.toRib = 5, bays.thickness = 2;
  bays.from = BaysFrom::fraction, bays.fromFraction = from;
  bays.to = SheetTo::fraction, bays.fraction = to;
  return bays;
}

TEST(Zones, BaysBeginAndEndWhereTheyAreDecided) {
  Design d = plain();
  d.inner().sheeting.top = true, d.inner().sheeting.bottom = false, d.inner().sheeting.fraction = 0.3;
  d.inner().capStrips.top = true, d.inner().capStrips.bottom = false;
  d.inner().capStrips.thickness = 1, d.inner().capStrips.width = 8;
  d.inner().sheeted = {between(0.5, 0.75)};
  d.inner().sheeted[0].bottom = false;
  const TrueWing w = wingOf(d);
  const Rib &in = w.inner().frame.ribs[2], &out = w.inner().frame.ribs[5];
  EXPECT_NEAR(in.upperRun.sheeted, arcOf(true, 0.5, 0.75), 0.1);
  EXPECT_NEAR(in.upperRun.capArc, arcOf(true, 0.3, 0.5), 0.1);
  EXPECT_NEAR(in.upperRun.aftArc, arcOf(true, 0.75, 1), 0.2);
  EXPECT_NEAR(out.upperRun.capArc, arcOf(true, 0.3, 1), 0.2) << "beyond the run";
  EXPECT_NEAR(out.cutArea - in.cutArea, (2 - 1) * arcOf(true, 0.5, 0.75), 1.5) << "sheet for a strip";
  const Skin* skin = skinOf(w, "bays.1.top");
  ASSERT_TRUE(skin);
  EXPECT_NEAR(skin->pattern.innerWidth, arcOf(true, 0.5, 0.75), 0.05);
  EXPECT_NEAR(skin->pattern.area, arcOf(true, 0.5, 0.75) * 300, 30);
  // Two strips a rib there, and they weigh what they are long.
  double grams = 0;
  int strips = 0;
  for (const Part& part : w.inner().parts)
    if (part.what() == Part::What::capStrips && part.rib == in.number) grams += part.grams, ++strips;
  EXPECT_EQ(strips, 2);
  EXPECT_NEAR(grams, (arcOf(true, 0.3, 0.5) + arcOf(true, 0.75, 1)) * 8 * 160e-6, 0.002);
  // From a spar to so much before the trailing edge.
  d.inner().sheeted[0].from = BaysFrom::spar, d.inner().sheeted[0].fromSpar = 1;
  d.inner().sheeted[0].to = SheetTo::fromTail, d.inner().sheeted[0].fromTail = 50;
  EXPECT_NEAR(wingOf(d).inner().frame.ribs[2].upperRun.sheeted, arcOf(true, 0.3, 0.75), 0.1);
  d.inner().sheeted[0].fromSpar = 3;
  EXPECT_TRUE(hasFinding(impossible(d), "sheeting.spar"));
}

TEST(Zones, SayWhereTheyLieOverEachOther) {
  Design d = plain();
  d.inner().sheeting.top = true, d.inner().sheeting.bottom = false, d.inner().sheeting.fraction = 0.6;
  d.inner().sheeted = {between(0.5, 0.75)};
  EXPECT_TRUE(hasFinding(findingsOf(wingOf(d)), "sheeted.nose"));
  d.inner().sheeting.fraction = 0.4;
  EXPECT_FALSE(hasFinding(findingsOf(wingOf(d)), "sheeted.nose"));
  d.inner().sheeted = {between(0.7, 0.6)};
  EXPECT_TRUE(hasFinding(findingsOf(wingOf(d)), "sheeted.none"));
  EXPECT_FALSE(skinOf(wingOf(d), "bays.1.top"));
}

TEST(SkinJoints, LieOnTheRibsThatAreChosen) {
  Design d = plain();
  d.inner().sheeting.top = d.inner().sheeting.bottom = true;
  d.cutList.stock = 450;
  const TrueWing own = wingOf(d);
  ASSERT_EQ(skinOf(own, "nose.top")->joints.size(), 1u);
  EXPECT_EQ(skinOf(own, "nose.top")->joints[0].rib, 5) << "at 400 of 600";
  EXPECT_EQ(skinOf(own, "nose.bottom")->joints[0].rib, 4) << "one sooner";
  d.inner().sheeting.joints = {3, 5};
  d.inner().sheeting.thickness = 0.8;
  d.inner().sheeting.joint = SheetJoint::scarf, d.inner().sheeting.overlap = 12;
  d.cutList.leftSooner = true;
  const TrueWing w = wingOf(d);
  const Skin& top = *skinOf(w, "nose.top");
  ASSERT_EQ(top.joints.size(), 2u);
  EXPECT_EQ(top.joints[0].rib, 3);
  EXPECT_EQ(top.joints[1].rib, 5);
  EXPECT_EQ(top.leftJoints[0].rib, 2);
  EXPECT_EQ(top.leftJoints[1].rib, 4);
  const std::vector<double> pieces = top.pieces(Hand::right), left = top.pieces(Hand::left);
  ASSERT_EQ(pieces.size(), 3u);
  EXPECT_NEAR(pieces[0], 200 + 4.8, 1e-6);
  EXPECT_NEAR(pieces[1], 200 + 9.6, 1e-6);
  EXPECT_NEAR(pieces[2], 204.8, 1e-6);
  EXPECT_NEAR(left[0], 104.8, 1e-6);
  EXPECT_NEAR(left[2], 304.8, 1e-6);
  EXPECT_NEAR(figureOf(w, "skin.nose.top.piece.2"), 209.6, 1e-6);
  // Cut in pieces it weighs what it weighed in one.
  const auto grams = [](const TrueWing& wing) {
    double sum = 0;
    for (const Part& p : wing.inner().parts)
      if (p.key().starts_with("sheet.top")) sum += p.grams;
    return sum;
  };
  Design whole = d;
  whole.inner().sheeting.joints.clear(), whole.cutList.stock = 2000;
  EXPECT_NEAR(grams(w), grams(wingOf(whole)), 1e-9);
  // A rib that it does not lie over, both faces on one rib, a piece longer than the stock.
  d.inner().sheeting.joints = {1, 4}, d.inner().sheeting.jointsBelow = {4};
  const TrueWing odd = wingOf(d);
  EXPECT_TRUE(hasFinding(findingsOf(odd), "skin.nose.jointNot"));
  EXPECT_TRUE(hasFinding(findingsOf(odd), "skin.nose.together"));
  d.inner().sheeting.joints = {2};
  EXPECT_TRUE(hasFinding(findingsOf(wingOf(d)), "skin.nose.joint"));
}

RC_GTEST_PROP(SkinJoints, PiecesAreAsLongAsTheSkin, ()) {
  Design d = plain();
  d.inner().panel.tipChord = *rc::gen::inRange(80, 240), d.inner().panel.tipSetback = *rc::gen::inRange(-60, 90);
  d.inner().sheeting.joints = *rc::gen::container<std::vector<int>>(rc::gen::inRange(-3, 12));
  d.inner().sheeting.joint = *rc::gen::element(SheetJoint::butt, SheetJoint::lap, SheetJoint::scarf);
  d.cutList.leftSooner = *rc::gen::arbitrary<bool>();
  d.cutList.stock = *rc::gen::inRange(100, 900);
  const TrueWing w = wingOf(d);
  for (const Skin& skin : w.inner().skins)
    for (const Hand hand : {Hand::right, Hand::left}) {
      const std::vector<double> pieces = skin.pieces(hand);
      const double over = static_cast<double>(skin.joints.size()) * skin.of.jointLength();
      RC_ASSERT(std::abs(std::accumulate(pieces.begin(), pieces.end(), -over) - lengthOf(skin.pattern.front)) < 1e-6);
      RC_ASSERT(std::all_of(pieces.begin(), pieces.end(), [](double p) { return p >= 0; }));
    }
}

/// Cloth over skins: their area by the section's own arc, by weight and ratio.
TEST(ClothOnSkins, WeighsByAreaAndRatio) {
  Design d = plain();
  d.inner().sheeting.top = true, d.inner().sheeting.bottom = false, d.inner().sheeting.fraction = 0.3;
  d.inner().sheeting.from = NoseFrom::overStock;
  d.inner().cloth.top = 2, d.inner().cloth.gsm = 49, d.inner().cloth.resinRatio = 1.5, d.inner().cloth.strip = 40;
  const TrueWing w = wingOf(d);
  const double wide = 0.3224 * chord, grams = (2 * wide * span + 20 * wide) * 49e-6 * 2.5;
  EXPECT_NEAR(figureOf(w, "cloth.mass"), grams, 0.002 * grams) << "half a strip: the wing's middle";
  EXPECT_NEAR(figureOf(w, "cloth.resin"), grams * 1.5 / 2.5, 0.002 * grams);
  EXPECT_NEAR(figureOf(w, "cloth.hours"), 24, 1e-9);
  EXPECT_FALSE(hasFinding(findingsOf(w), "cloth.none"));
  d.inner().cloth.bottom = 1;
  EXPECT_TRUE(hasFinding(findingsOf(wingOf(d)), "cloth.none"));
}

TEST(Covering, WeighsWithItsDope) {
  Design d = plain();
  d.inner().sheeting.top = d.inner().sheeting.bottom = false;
  d.inner().stiffening.covering = "tissue";
  const double dry = figureOf(wingOf(d), "cover.mass");
  EXPECT_NEAR(dry, 2 * chord * span * Tables{}.covering("tissue").areaWeight * 1e-6, 0.02 * dry);
  d.inner().stiffening.dope = 0.6;
  EXPECT_NEAR(figureOf(wingOf(d), "cover.mass"), 1.6 * dry, 1e-6);
  d.inner().stiffening.coveringOn = CoveringOn::top;
  EXPECT_NEAR(figureOf(wingOf(d), "cover.mass"), 0.8 * dry, 1e-6);
}

TEST(Webs, StandOnTheirCapsFaces) {
  Design d = plain();
  Spar& s = d.inner().spars[0];
  s.webs = Webs::between, s.webThickness = 1.5;
  const auto webOf = [](const TrueWing& w) {
    for (const Part& p : w.inner().parts)
      if (p.key() == "web.1.3") return p;
    ADD_FAILURE() << "no web";
    return Part{};
  };
  const Part between = webOf(wingOf(d));
  s.websOn = WebsOn::front, s.webShort = 0.5;
  const Part front = webOf(wingOf(d));
  EXPECT_NEAR(front.length, between.length + s.top.depth + s.bottom.depth - 2 * 0.5, 1e-6)
      << "grain upright: its height";
  EXPECT_NEAR(between.centre.x() - front.centre.x(), (s.top.width + 1.5) / 2, 1e-6);
  s.websOn = WebsOn::rear;
  EXPECT_NEAR(webOf(wingOf(d)).centre.x() - between.centre.x(), (s.top.width + 1.5) / 2, 1e-6);
  // Glued over the caps' depth, but for what it is short of: 2.5 mm in the place of its own 1.5.
  const auto glue = [&] { return figureOf(wingOf(d), "spar.1.webGlue"); };
  const double faces = glue();
  s.websOn = WebsOn::between;
  EXPECT_NEAR(faces, glue() * 2.5 / 1.5, 1e-6);
}

/// Every skin that ends at a join is told with its mitre and the blade's tilt.
TEST(SawnEnds, TellEverySkin) {
  Design d = plain();
  d.inner().join.dihedral = {DihedralBy::angle, 5};
  d.inner().trailingEdge.kind = TrailingEdgeKind::twoSheets;
  d.inner().sheeting.top = true, d.inner().sheeting.bottom = false;
  d.inner().sheeted = {between(0.5, 0.7)};
  d.inner().sheeted[0].fromRib = 1;
  const TrueWing w = wingOf(d);
  for (const char* key : {"cut.sheetTop.tilt", "cut.bays1Top.tilt", "cut.teSheetTop.tilt", "cut.teSheetBottom.tilt"})
    EXPECT_NEAR(std::abs(figureOf(w, key)), degToRad(5), 0.02) << key << ": near flat surfaces lean by the dihedral";
  EXPECT_EQ(figureNamed(w, "cut.sheetBottom.tilt"), nullptr);
  d.inner().sheeted[0].fromRib = 2;
  EXPECT_EQ(figureNamed(wingOf(d), "cut.bays1Top.tilt"), nullptr) << "it does not reach the join";
}

/// By Hankinson; and boards run along their grain.
TEST(SheetPanel, GrainMaySlant) {
  Design d = test::bareDesign();
  PanelDesign& p = d.inner();
  p.built = Built::sheet;
  p.panel = test::panelOf(300, 80, 80);
  p.sections.root.kind = p.sections.tip.kind = SectionKind::flatPlate;
  p.sheet.thickness = 4, p.sheet.material = "balsa-160", p.sheet.edge = 0;
  const TrueWing along = wingOf(d);
  p.sheet.grainDeg = 20;
  const TrueWing slant = wingOf(d);
  const Material& wood = Tables{}.named("balsa-160");
  const double s = std::sin(degToRad(20)), c = std::cos(degToRad(20)),
               less = wood.across / (wood.modulus * s * s + wood.across * c * c);
  EXPECT_NEAR(figureOf(slant, "sheet.stiffness"), figureOf(along, "sheet.stiffness") * less,
              1e-6 * figureOf(along, "sheet.stiffness"));
  EXPECT_EQ(along.inner().sheet->boards, 1);
  const double across = 80 * c + 300 * s; // a rectangle's breadth, turned
  EXPECT_EQ(slant.inner().sheet->boards, static_cast<int>(std::ceil(across / d.cutList.sheetWidth)));
  EXPECT_NEAR(slant.inner().sheet->boardWidth * slant.inner().sheet->boards, across, 0.2);
  for (const Polyline& seam : slant.inner().sheet->seams) {
    const Point way = seam.back() - seam.front();
    EXPECT_NEAR(way.x() / way.y(), s / c, 1e-6) << "towards the trailing edge going outwards";
  }
}

TEST(SheetPanel, RunsOutToItsTip) {
  Design d = test::bareDesign();
  PanelDesign& p = d.inner();
  p.built = Built::sheet;
  p.panel = test::panelOf(300, 100, 70, 20);
  p.sections.root.kind = p.sections.tip.kind = SectionKind::flatPlate;
  p.sheet.thickness = 3, p.sheet.edge = 0;
  const TrueWing square = wingOf(d);
  p.tip.kind = TipKind::block, p.tip.reach = 30, p.tip.farthest = 0.4;
  const TrueWing w = wingOf(d);
  const double more = pi / 4 * 70 * 30;
  EXPECT_NEAR(w.inner().sheet->area - square.inner().sheet->area, more, 0.01 * more) << "two quarters of ellipses";
  const auto grams = [](const TrueWing& wing) {
    for (const Part& part : wing.inner().parts)
      if (part.key() == "sheet.panel") return part.grams;
    return 0.0;
  };
  EXPECT_NEAR(grams(w) - grams(square), more * 3 * 160e-6, 0.02 * more * 3 * 160e-6);
  EXPECT_TRUE(hasFinding(findingsOf(w), "sheet.thin") == hasFinding(findingsOf(square), "sheet.thin"));
  for (const Figure& f : figuresOf(w))
    EXPECT_TRUE(f.key != "tip.block" && !f.key.starts_with("tip.packing")) << f.key << ": there is no block nor rib";
}

TEST(Zones, FilesOfVersion14HaveThePlainOnes) {
  const auto read = designFromText(test::slurp(test::testFile("version14.euptera")));
  ASSERT_TRUE(read.ok()) << read.problem().text();
  EXPECT_TRUE(read.value().notes.empty()) << (read.value().notes.empty() ? "" : read.value().notes.front());
  const PanelDesign& p = read.value().design.inner();
  EXPECT_EQ(p.cloth.top, 1);
  EXPECT_EQ(p.cloth.bottom, 2);
  EXPECT_EQ(p.cloth.gsm, 49) << "it was the sheet's own";
  ASSERT_EQ(p.sheeted.size(), 1u);
  EXPECT_EQ(p.sheeted[0].to, SheetTo::stock);
  EXPECT_EQ(p.sheeted[0].from, BaysFrom::before);
  EXPECT_EQ(p.sheeted[0].thickness, 1.2);
  EXPECT_FALSE(p.sheeting.ownBelow);
  EXPECT_EQ(p.sheeting.from, NoseFrom::behindStock);
  EXPECT_EQ(p.spars.empty() ? WebsOn::between : p.spars[0].websOn, WebsOn::between);
}

} // namespace
} // namespace eup
