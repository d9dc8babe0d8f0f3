// What is checked in a spar's bays besides its caps and webs: nose, edges, joins; what is told of it.
#include "bays.h"
#include "core/drawing/wing_drawings.h"
#include "core/takeaway/take_away.h"
#include "core/trials/sizing.h"
#include <algorithm>

namespace eup {
namespace {

using test::checkOf;
using test::figureOf;
using test::hasFinding;
using test::wingOf;
using test::withWebs;

/// By hand for a box of web 20 × 1.5 and skin 130 × 1.5 of one wood, 900 mm² inside: δw ÷ (δw + δs) = 20 ÷ 150,
/// e = 2 × 900 ÷ 20 × 20 ÷ 150 = 12 mm.
TEST(NoseBoxes, TheShearCentreLiesBeforeTheWeb) {
  EXPECT_NEAR(shearCentreAhead(900, 20, 20 / (155 * 1.5), 130 / (155 * 1.5)), 12, 1e-9);
  Design d = withWebs(Webs::between);
  d.inner().sheeting.to = SheetTo::sparRear;
  d.flying.diveSpeed = 30;
  const TrueWing thin = wingOf(d);
  ASSERT_TRUE(thin.inner().strength.noseBox && thin.inner().strength.noseBox->ahead);
  EXPECT_NEAR(figureOf(thin, "box.shearCentre"), *thin.inner().strength.noseBox->ahead, 1e-12);
  EXPECT_GT(figureOf(thin, "box.shearCentre"), 1);
  EXPECT_LT(figureOf(thin, "box.shearCentre"), 0.3 * 220) << "within the nose";
  d.inner().spars[0].webThickness = 6; // a stiff web: the centre comes to it
  const TrueWing stiff = wingOf(d);
  EXPECT_LT(figureOf(stiff, "box.shearCentre"), figureOf(thin, "box.shearCentre"));
  d.inner().spars[0].webs = Webs::none;
  EXPECT_EQ(figureNamed(wingOf(d), "box.shearCentre"), nullptr);
}

/// The torque of a dive is that of the sections' moments outboard; it grows with the speed squared, and towards the
/// root. Open noses and wings that do not dive have no such check.
TEST(NoseBoxes, ADiveIsCheckedBayByBay) {
  Design d = withWebs(Webs::between);
  d.inner().sections.root = d.inner().sections.tip = nacaSection("4412");
  d.inner().sheeting.to = SheetTo::sparRear;
  EXPECT_EQ(figureNamed(wingOf(d), "sheet.twist"), nullptr);
  d.flying.diveSpeed = 25;
  const TrueWing w = wingOf(d);
  const TruePanel& p = w.inner();
  ASSERT_TRUE(p.strength.noseBox && w.main().soft);
  // By hand at the root, from the torque that the twist curve goes by.
  const double stress =
      std::abs(w.main().soft->torque.front()) / (2 * p.strength.noseBox->area * d.inner().sheeting.thickness);
  const BayCheck* root = checkOf(p.strength.bays.front(), BayCheck::What::sheetTwist);
  ASSERT_NE(root, nullptr);
  EXPECT_NEAR(root->stress, stress, 1e-9 * stress);
  EXPECT_NEAR(figureOf(w, "sheet.twist"), 2.1 / stress, 1e-6 * 2.1 / stress);
  double last = 1e9;
  for (const SparBay& bay : p.strength.bays)
    if (const BayCheck* c = checkOf(bay, BayCheck::What::sheetTwist)) {
      EXPECT_LT(c->stress, last) << bay.bay;
      last = c->stress;
    }
  EXPECT_FALSE(hasFinding(findingsOf(w), "sheet.twistBuckling"));
  d.flying.diveSpeed = 75;
  const TrueWing fast = wingOf(d);
  EXPECT_NEAR(figureOf(fast, "sheet.twist"), figureOf(w, "sheet.twist") / 9, 1e-6 * figureOf(w, "sheet.twist"));
  EXPECT_TRUE(hasFinding(findingsOf(fast), "sheet.twistBuckling"));
  Design dropped = d; // beyond the cap's end no web closes the nose
  dropped.inner().spars[0].bottom.drops = true, dropped.inner().spars[0].bottom.dropsAt = 0.5;
  const TrueWing half = wingOf(dropped);
  for (const SparBay& bay : half.inner().strength.bays)
    EXPECT_EQ(checkOf(bay, BayCheck::What::sheetTwist) != nullptr, bay.to <= 350) << bay.bay;
  d.inner().spars[0].webs = Webs::none;
  EXPECT_EQ(figureNamed(wingOf(d), "sheet.twist"), nullptr);
  d.inner().spars[0].webs = Webs::between;
  d.inner().sheeting.bottom = false;
  EXPECT_EQ(figureNamed(wingOf(d), "sheet.twist"), nullptr);
}

/// Where the first spar stops the edges go on, bent with the next.
TEST(Edges, AreCheckedAsFarAsThereIsASpar) {
  Design d;
  d.inner().spars.push_back(d.inner().spars.front());
  d.inner().spars[1].rootFraction = d.inner().spars[1].tipFraction = 0.6;
  d.inner().spars[0].stops = true, d.inner().spars[0].stopsAt = 350;
  const TrueWing w = wingOf(d);
  double farthest = 0;
  for (const SparBay& bay : w.inner().strength.bays)
    if (checkOf(bay, BayCheck::What::trailingEdge)) {
      EXPECT_EQ(bay.spar, bay.to <= 350 ? 0 : 1) << bay.bay;
      farthest = std::max(farthest, bay.to);
    }
  EXPECT_NEAR(farthest, 700, 1e-9);
  int told = 0;
  for (const Figure& f : figuresOf(w)) told += f.key == "edge.trailing";
  EXPECT_EQ(told, 1);
}

/// Strips at the edges are strained by the wing's bend: σ = E M z ÷ EI.
TEST(Edges, BendWithTheWing) {
  Design d;
  const TrueWing w = wingOf(d);
  const SparBay& bay = w.inner().strength.bays.front();
  const BayCheck* edge = checkOf(bay, BayCheck::What::leadingEdge);
  ASSERT_NE(edge, nullptr);
  const SparSection& s = w.inner().strength.bending.spars[0].root;
  const double f = d.inner().leadingEdge.width / 220, bend = w.main().loads.front().load.moment(0) / s.bent.stiffness;
  double most = 0;
  for (const Face face : {Face::upper, Face::lower})
    most = std::max(most, std::abs(w.inner().shape.loft.at(face, f, 0).y() - s.bent.axis));
  EXPECT_NEAR(edge->stress, 3400 * bend * most, 0.02 * edge->stress); // the one with least in reserve, of two strengths
  d.inner().leadingEdge.material =
      "light-ply"; // stiffer for its strength than balsa, pressed: 12 ÷ 4500 against 14.9 ÷ 3400
  EXPECT_LT(figureOf(wingOf(d), "edge.leading"), figureOf(w, "edge.leading"));
}

TEST(Joins, WhatHoldsThemIsAmongTheFirstBaysChecks) {
  Design d;
  const TrueWing w = wingOf(d);
  const BayCheck* brace = checkOf(w.inner().strength.bays.front(), BayCheck::What::brace);
  ASSERT_NE(brace, nullptr);
  EXPECT_NEAR(brace->reserve(), figureOf(w, "brace.reserve"), 1e-9);
  EXPECT_NEAR(checkOf(w.inner().strength.bays.front(), BayCheck::What::braceGlue)->reserve(), figureOf(w, "brace.glue"),
              1e-9);
  d.inner().join.braces.clear();
  d.inner().join.joiner.fitted = true;
  const TrueWing joined = wingOf(d);
  EXPECT_EQ(checkOf(joined.inner().strength.bays.front(), BayCheck::What::brace), nullptr);
  EXPECT_NEAR(checkOf(joined.inner().strength.bays.front(), BayCheck::What::joiner)->reserve(),
              figureOf(joined, "joiner.reserve"), 1e-9);
  EXPECT_NEAR(checkOf(joined.inner().strength.bays.front(), BayCheck::What::ribs)->reserve(),
              figureOf(joined, "joiner.ribs"), 1e-9);
  // By hand: the couple on the socket's length, less the lift at the join where that is, over 3 mm of balsa and 9 mm of
  // sleeve.
  const JoinStrength& s = joined.inner().strength.join;
  const double leg = std::min(joined.inner().joiner->reach, joined.inner().joiner->reachInside);
  const double pressed = d.own.named(d.inner().join.joiner.material).compressionAcross;
  const double bears = (6 * s.moment / (leg * leg) - 2 * s.shear / leg) / d.inner().join.joiner.diameter;
  EXPECT_NEAR(figureOf(joined, "joiner.socket"), pressed / bears, 1e-9 * pressed / bears);
  EXPECT_NEAR(checkOf(joined.inner().strength.bays.front(), BayCheck::What::socket)->reserve(), pressed / bears,
              1e-9 * pressed / bears);
  EXPECT_FALSE(hasFinding(findingsOf(joined), "joiner.socket"));
  EXPECT_NEAR(s.crushReserve, std::min(9 * 3 * 1.0 / (s.moment / leg - s.shear), 9 * 2 * 1.0 / (s.moment / leg)), 1e-9);
  EXPECT_TRUE(hasFinding(findingsOf(joined), "joiner.ribs"));
  d.inner().join.joiner.facing = 3;
  EXPECT_GT(figureOf(wingOf(d), "joiner.ribs"), 4 * figureOf(joined, "joiner.ribs"));
  d.inner().join.joiner.material = "foam-eps-15"; // a rod that is softer than what it bears on
  EXPECT_TRUE(hasFinding(findingsOf(wingOf(d)), "joiner.socket"));
}

TEST(Joins, AWeakGlueCountsWhereItIsWeakerThanTheWood) {
  Design d = withWebs(Webs::between);
  const TrueWing good = wingOf(d);
  d.glue = "contact";
  const TrueWing weak = wingOf(d);
  EXPECT_NEAR(figureOf(weak, "spar.1.webGlue") / figureOf(good, "spar.1.webGlue"), 0.7 / 2.1, 1e-9);
  EXPECT_NEAR(figureOf(weak, "brace.glue") / figureOf(good, "brace.glue"), 0.7 / 2.1, 1e-9);
}

TEST(Sizing, MayDoubleCapsInboard) {
  Design d = withWebs(Webs::between);
  d.inner().spars[0].webThickness = 4, d.inner().spars[0].webMaterial = "birch-ply"; // the caps are what is sized
  const TrueWing w = wingOf(d);
  SizingOrder order;
  order.materials = {"spruce"}, order.stock = {2, 3, 4, 6, 8, 10}, order.mayTaper = false;
  const auto plain = sparSizes(w.inner(), w.main().loads, order);
  order.mayStep = true;
  const auto stepped = sparSizes(w.inner(), w.main().loads, order);
  ASSERT_FALSE(plain.empty() || stepped.empty());
  EXPECT_LT(stepped.front().grams, plain.front().grams);
  EXPECT_TRUE(stepped.front().spar.top.doubled);
  d.inner().spars[0] = stepped.front().spar;
  double least = 1e9;
  const TrueWing taken = wingOf(d);
  for (const SparBay& bay : taken.inner().strength.bays)
    for (const BayCheck& c : bay.checks)
      if (c.ofSpar()) least = std::min(least, c.reserve());
  EXPECT_NEAR(least, stepped.front().reserve, 1e-9);
  EXPECT_GE(least, order.reserve);
}

TEST(LoadCases, AGustFromAboveIsAsFarTheOtherWay) {
  Design d;
  d.flying.gust = 8, d.flying.airSpeed = 16;
  const TrueWing w = wingOf(d);
  ASSERT_EQ(w.main().loads.size(), 3u);
  EXPECT_NEAR(w.main().loads[1].factor + w.main().loads[2].factor, 2, 1e-12);
  EXPECT_LT(w.main().loads[2].load.lift, 0);
  d.flying.gust = 1;
  EXPECT_EQ(wingOf(d).main().loads.size(), 2u) << "lift that only falls loads nothing";
}

TEST(StrengthCard, TellsEveryBayAndItsCautions) {
  Design d = withWebs(Webs::between);
  d.flying.tipTouch = 1, d.flying.diveSpeed = 22, d.flying.kind = "own-1";
  d.own.loadFactors.push_back({.key = "own-1", .label = "club pylon", .pull = 18, .push = 7, .source = "our logger"});
  d.inner().join.braces[0].material = "beech";
  const TrueWing w = wingOf(d);
  std::string all;
  for (const Drawing& block : strengthCard(w.main(), w.inner(), Hand::left))
    for (const Label& l : block.labels) all += l.text + "\n";
  EXPECT_NE(all.find("LEFT HAND"), std::string::npos);
  for (std::size_t i = 1; i < w.inner().frame.ribs.size(); ++i)
    EXPECT_NE(all.find("R" + std::to_string(i) + " to R" + std::to_string(i + 1)), std::string::npos) << i;
  for (const char* words :
       {"model aircraft only", "no approval", "licensed", "landing on a tip", "Sitka spruce", "USDA",
        "yellow wood glue", "18.00 × the weight (club pylon: our logger)", "diving: 22 m/s", "beech"})
    EXPECT_NE(all.find(words), std::string::npos) << words;
  d.inner().spars.clear();
  const TrueWing other = wingOf(d);
  EXPECT_FALSE(strengthCard(other.main(), other.inner(), Hand::right).empty());
}

} // namespace
} // namespace eup
