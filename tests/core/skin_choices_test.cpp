// What is decided of skins and covering beside their outline: where they end, grain, layers, what the roll gives, what
// is looked at before they are closed; against curves, boards and membranes reckoned another way.
#include "cli/commands.h"
#include "core/described/decisions.h"
#include "core/described/design_file.h"
#include "core/design/lasting.h"
#include "core/files/json.h"
#include "core/files/shipped.h"
#include "core/geometry/polyline.h"
#include "core/parts/bent_wood.h"
#include "core/skins/cover_cut.h"
#include "core/takeaway/take_away.h"
#include "places.h"
#include "support.h"
#include <sstream>

namespace eup {
namespace {

using test::figureOf;
using test::hasFinding;
using test::wingOf;

Design sheeted() {
  Design d = test::bareDesign();
  PanelDesign& p = d.inner();
  p.panel = test::panelOf(600, 200, 200);
  p.sections.root.naca = p.sections.tip.naca = "2412";
  p.spars = {Spar{}};
  p.sheeting.top = p.sheeting.bottom = true;
  p.join.dihedral = {DihedralBy::angle, 0};
  return d;
}

Skin skinOf(const TrueWing& w, const std::string& key) {
  for (const Skin& s : w.inner().skins)
    if (s.key == key) return s;
  ADD_FAILURE() << "no " << key;
  return w.inner().skins.front();
}

double widthTo(SheetTo to, const std::function<void(PanelDesign&)>& more = {}) {
  Design d = sheeted();
  d.inner().sheeting.to = to;
  if (more) more(d.inner());
  return skinOf(wingOf(d), "nose.top").pattern.innerWidth;
}

/// Along the upper side of a 2412 from its nose to a chord fraction, by its formula.
double arcTo(double fraction) {
  double sum = 0;
  Point last(0, 0);
  constexpr int steps = 40000;
  for (int i = 1; i <= steps; ++i) {
    const double s = static_cast<double>(i) / steps, x = s * s;
    const double t =
        0.12 * 5 * (0.2969 * std::sqrt(x) - 0.1260 * x - 0.3516 * x * x + 0.2843 * x * x * x - 0.1015 * x * x * x * x);
    const double m = 0.02, p = 0.4,
                 c = x < p ? m / (p * p) * (2 * p * x - x * x)
                           : m / ((1 - p) * (1 - p)) * (1 - 2 * p + 2 * p * x - x * x),
                 slope = x < p ? 2 * m / (p * p) * (p - x) : 2 * m / ((1 - p) * (1 - p)) * (p - x),
                 a = std::atan(slope);
    const Point at(200 * (x - t * std::sin(a)), 200 * (c + t * std::cos(a)));
    if (at.x() > 200 * fraction && i > 50) return sum;
    sum += (at - last).norm();
    last = at;
  }
  return sum;
}

TEST(SkinEnds, LieWhereTheyAreDecided) {
  const Spar spar;
  const double at = spar.rootFraction * 200, half = spar.top.width / 2;
  const auto number = [](PanelDesign& p) { p.sheeting.spar = 1; };
  EXPECT_NEAR(widthTo(SheetTo::sparMiddle, number), arcTo(at / 200), 0.2);
  EXPECT_NEAR(widthTo(SheetTo::sparFront, number), arcTo((at - half) / 200), 0.2);
  EXPECT_NEAR(widthTo(SheetTo::sparRear, number), arcTo((at + half) / 200), 0.2);
  EXPECT_NEAR(widthTo(SheetTo::fromTail, [](PanelDesign& p) { p.sheeting.fromTail = 80; }), arcTo(0.6), 0.2);
  EXPECT_NEAR(widthTo(SheetTo::stock,
                      [](PanelDesign& p) { p.trailingEdge.kind = TrailingEdgeKind::wedge, p.trailingEdge.width = 20; }),
              arcTo(0.9), 0.2);
}

/// Sheeted to the stock, no strip is left behind the sheet and no needle of wood before the stock.
TEST(SkinEnds, AtTheStockLeaveNothingBehind) {
  Design d = sheeted();
  d.inner().capStrips.top = d.inner().capStrips.bottom = true;
  d.inner().trailingEdge.kind = TrailingEdgeKind::wedge, d.inner().trailingEdge.width = 20;
  d.inner().sheeting.to = SheetTo::stock;
  const TrueWing w = wingOf(d);
  EXPECT_EQ(w.inner().mass.gramsOf(Part::What::capStrips), 0);
  for (const Rib& rib : w.inner().frame.ribs) EXPECT_EQ(rib.wood.size(), 1u) << rib.name();
}

// A 4-digit section is rolled from its nose, where it stands upright, to its surface's slope at the sheet's edge.
TEST(SkinLayers, LieInsideEachOther) {
  Design d = sheeted();
  d.inner().sheeting.fraction = 0.4, d.inner().sheeting.thickness = 2, d.inner().sheeting.layers = 2;
  const TrueWing w = wingOf(d);
  const Skin skin = skinOf(w, "nose.top");
  const Rib& rib = w.inner().frame.ribs.front();
  // Its slope where it is thickest of camber is the thickness form's alone.
  const double x = 0.4, slope = 0.12 * 5 *
                                (0.2969 / (2 * std::sqrt(x)) - 0.1260 - 2 * 0.3516 * x + 3 * 0.2843 * x * x -
                                 4 * 0.1015 * x * x * x);
  const Point first = rib.upper[1] - rib.upper[0];
  EXPECT_NEAR(skin.turned, std::atan2(first.y(), first.x()) - std::atan(slope), 0.05);
  EXPECT_NEAR(skin.innerLayerNarrower(), skin.turned * 1, 1e-9);
  EXPECT_NEAR(figureOf(w, "skin.nose.top.layers"), skin.turned, 1e-9);
  EXPECT_NEAR(skin.layersBend(), skin.bend - 1, 1e-9);
  int found = 0;
  for (const Part& part : w.inner().parts)
    if (part.key() == "sheet.top") {
      ++found;
      EXPECT_EQ(part.count, 2);
      EXPECT_EQ(part.stock.thickness, 1);
      EXPECT_NEAR(part.grams, part.area * 2 * 160e-6, 1e-9) << "both layers";
    }
  EXPECT_EQ(found, 1);
}

// Hankinson's formula at its limits, and half way by hand: 1 ÷ N = sin² ÷ Q + cos² ÷ P.
TEST(SkinGrain, IsBetweenAlongAndAcross) {
  EXPECT_NEAR(offTheGrain(40, 5, 0), 40, 1e-12);
  EXPECT_NEAR(offTheGrain(40, 5, pi / 2), 5, 1e-12);
  EXPECT_NEAR(1 / offTheGrain(40, 5, pi / 4), 0.5 / 40 + 0.5 / 5, 1e-12);
  EXPECT_EQ(offTheGrain(40, 5, 0.7), offTheGrain(40, 5, -0.7));
  const Material balsa = Tables{}.named("balsa-160");
  EXPECT_NEAR(dryBendRound(balsa, 0), dryBendAcross(balsa), 1e-12);
  EXPECT_NEAR(dryBendRound(balsa, 90), dryBend(balsa), 1e-12);
}

/// Boards are laid along the grain: counted across it.
TEST(SkinGrain, TurnsTheBoards) {
  Design d = sheeted();
  d.cutList.sheetWidth = 100;
  d.inner().sheeting.fraction = 0.4;
  EXPECT_EQ(skinOf(wingOf(d), "nose.top").strips, 1);
  d.inner().sheeting.grainDeg = 90;
  EXPECT_EQ(skinOf(wingOf(d), "nose.top").strips, 6) << "600 long";
  d.inner().sheeting.grainDeg = 45;
  const double width = skinOf(wingOf(d), "nose.top").pattern.innerWidth;
  EXPECT_EQ(skinOf(wingOf(d), "nose.top").strips, std::ceil((600 + width) / std::sqrt(2.0) / 100));
  const TrueWing slanting = wingOf(d);
  for (const Part& part : slanting.inner().parts)
    if (part.key() == "sheet.top") {
      EXPECT_EQ(part.grain, GrainWay::slanting);
    }
}

/// What carries bending is as stiff as its grain lets it be.
TEST(SkinGrain, CarriesLessAcross) {
  Design d = sheeted();
  d.inner().sheeting.carries = true, d.inner().sheeting.fraction = 0.4;
  const double along = wingOf(d).inner().strength.bending.rootStiffness;
  d.inner().sheeting.grainDeg = 45;
  const TrueWing w = wingOf(d);
  const double slanting = w.inner().strength.bending.rootStiffness;
  d.inner().sheeting.carries = false;
  const double none = wingOf(d).inner().strength.bending.rootStiffness;
  const Material balsa = Tables{}.named("balsa-160");
  EXPECT_NEAR((slanting - none) / (along - none), offTheGrain(balsa.modulus, balsa.across, pi / 4) / balsa.modulus,
              0.02);
  EXPECT_TRUE(hasFinding(findingsOf(w), "skin.grain"));
}

/// The membrane by another way: relaxed on a grid until it hangs still; how much lower than the ribs it lies at most.
double relaxed(const std::vector<double>& rises, double length, double width) {
  const std::size_t n = rises.size() - 1, m = 40;
  std::vector<std::vector<double>> z(n + 1, std::vector<double>(m + 1, 0));
  const double dx = length / static_cast<double>(n), dy = width / static_cast<double>(m), kx = 1 / (dx * dx),
               ky = 1 / (dy * dy);
  for (std::size_t i = 0; i <= n; ++i) z[i][0] = z[i][m] = rises[i];
  for (int round = 0; round < 8000; ++round)
    for (std::size_t i = 1; i < n; ++i)
      for (std::size_t k = 1; k < m; ++k)
        z[i][k] = (kx * (z[i - 1][k] + z[i + 1][k]) + ky * (z[i][k - 1] + z[i][k + 1])) / (2 * (kx + ky));
  double most = 0;
  for (std::size_t i = 0; i <= n; ++i) most = std::max(most, rises[i] - z[i][m / 2]);
  return most;
}

TEST(Covering, PullsInAsAMembraneDoes) {
  std::vector<double> even, blunt; // a parabola, and a curve with its belly near one end
  for (int i = 0; i <= 40; ++i) {
    const double s = i / 40.0;
    even.push_back(20 * s * (1 - s));
    blunt.push_back(9 * std::sqrt(s) * (1 - s));
  }
  for (const auto& [length, width] : {std::pair(100.0, 50.0), std::pair(100.0, 100.0), std::pair(60.0, 150.0)})
    for (const auto& rises : {even, blunt})
      EXPECT_NEAR(pullsIn(rises, length, width).depth, relaxed(rises, length, width), 0.03 * 5)
          << length << " × " << width;
  EXPECT_NEAR(pullsIn(even, 100, 1e-3).depth, 0, 2e-3) << "ribs side by side";
  EXPECT_NEAR(pullsIn(even, 100, 1e5).depth, 5, 1e-9) << "none for a long way: straight from line to line";
  EXPECT_NEAR(pullsIn(even, 100, 100).at, 0.5, 1e-9);
  EXPECT_LT(pullsIn(blunt, 100, 40).at, 0.3) << "where it bends most";
}

TEST(Covering, HollowsLieWhereNothingHoldsIt) {
  Design d = test::bareDesign();
  d.inner().panel = test::panelOf(600, 200, 200);
  d.inner().ribs.count = 7; // 100 apart
  d.inner().sections.root.naca = d.inner().sections.tip.naca = "0012";
  d.inner().stiffening.covering = "tissue";
  const double bare = figureOf(wingOf(d), "cover.top.hollow");
  EXPECT_NEAR(figureOf(wingOf(d), "cover.bottom.hollow"), bare, 1e-9) << "alike above and below";
  // From nose to tail it stands out by half the thickness at most: 12 mm.
  EXPECT_LT(bare, 12);
  EXPECT_GT(bare, 1);
  EXPECT_TRUE(hasFinding(findingsOf(wingOf(d)), "cover.hollow"));
  d.inner().ribs.count = 13;
  EXPECT_LT(figureOf(wingOf(d), "cover.top.hollow"), bare);
  d.inner().ribs.count = 7;
  d.inner().spars = {Spar{}}; // it comes to the surface: two fields
  EXPECT_LT(figureOf(wingOf(d), "cover.top.hollow"), bare);
  const double withSpar = figureOf(wingOf(d), "cover.top.hollow");
  d.inner().sheeting.top = true, d.inner().sheeting.fraction = 0.4;
  EXPECT_LT(figureOf(wingOf(d), "cover.top.hollow"), withSpar);
  d.inner().stiffening.coveringOn = CoveringOn::top;
  EXPECT_EQ(figureNamed(wingOf(d), "cover.bottom.length"), nullptr) << "a single surface";
  d.inner().sections.root.naca = d.inner().sections.tip.naca = "9304"; // hollow below
  d.inner().stiffening.coveringOn = CoveringOn::both;
  EXPECT_TRUE(hasFinding(findingsOf(wingOf(d)), "cover.lifts"));
}

TEST(Covering, IsCutOffTheRoll) {
  Design d = test::bareDesign();
  d.inner().panel = test::panelOf(600, 200, 150, 30);
  d.inner().stiffening.covering = "film";
  d.cutList.coverOverlap = 10, d.cutList.coverRoll = 500;
  const TrueWing w = wingOf(d);
  const Polyline& root = w.inner().frame.ribs.front().upper;
  EXPECT_NEAR(figureOf(w, "cover.top.width"), lengthOf(root) + 20, 3) << "its face at the root, and the overlap";
  const double edge = std::hypot(600, 30);
  EXPECT_GE(figureOf(w, "cover.top.length"), edge + 20 - 1e-6);
  EXPECT_LT(figureOf(w, "cover.top.length"), edge + 20 + 30);
  // Two beside each other on the roll, four faces.
  const double longest = std::max(figureOf(w, "cover.top.length"), figureOf(w, "cover.bottom.length"));
  EXPECT_NEAR(figureOf(w, "cover.roll"), 2 * longest, 1e-6);
  d.cutList.coverRoll = 150; // each of two strips
  EXPECT_NEAR(figureOf(wingOf(d), "cover.roll"),
              4 * (figureOf(w, "cover.top.length") + figureOf(w, "cover.bottom.length")), 1e-6);
  const TrueWing narrow = wingOf(d);
  EXPECT_NE(figureNamed(narrow, "cover.top.width")->where.find("2 strips"), std::string::npos);
}

TEST(Holds, AreOfWhatIsClosedIn) {
  Design d = sheeted();
  d.inner().join.braces = {Bracing{}};
  const TrueWing w = wingOf(d);
  ASSERT_EQ(w.inner().holds.size(), 3u);
  EXPECT_EQ(w.inner().holds[0].key, "0.0:glue");
  EXPECT_TRUE(hasFinding(findingsOf(w), "holds.open"));
  for (const Hold& h : w.inner().holds) d.records.looked.push_back({h.key});
  EXPECT_FALSE(hasFinding(findingsOf(wingOf(d)), "holds.open"));
  d.inner().holds = {{"aerial led to the tip"}};
  const TrueWing own = wingOf(d);
  EXPECT_TRUE(hasFinding(findingsOf(own), "holds.open"));
  EXPECT_EQ(own.inner().holds.back().what, "aerial led to the tip");
  d.inner().sheeting.bottom = false; // it stays open below; what the builder wants is still asked for
  EXPECT_EQ(wingOf(d).inner().holds.size(), 1u);
  makeNumbersOwn(d);
  const auto read = designFromText(designToText(d));
  ASSERT_TRUE(read.ok());
  EXPECT_EQ(read.value().design, d);
}

TEST(Holds, StandOnTheSkinPlan) {
  Design d = sheeted();
  d.records.looked = {{"0.0:glue"}};
  const TrueWing w = wingOf(d);
  std::string all;
  for (const Drawing& block : skinPlan(test::drawn(w).front(), Hand::left)) {
    EXPECT_EQ(block.hand, Hand::left);
    for (const Label& label : block.labels) all += label.text + "\n";
  }
  EXPECT_NE(all.find("LEFT"), std::string::npos);
  EXPECT_NE(all.find("nose sheet, top"), std::string::npos);
  for (const Hold& h : w.inner().holds) EXPECT_NE(all.find(h.what), std::string::npos) << h.what;
}

/// Webs and cap strips are drawn as large as they are listed.
TEST(SmallPieces, AreWhatIsListed) {
  for (const std::string& name : shipped::demoNames()) {
    const TrueWing w = wingOf(demoDesign(name));
    for (const TruePanel& panel : test::drawn(w)) {
      std::size_t listed = 0;
      double area = 0, print = 0;
      for (const Part& p : panel.parts)
        if (p.drawn == DrawnOn::skins && (p.what() == Part::What::capStrips || !p.outline.empty()))
          ++listed, area += p.outline.empty() ? p.length * p.breadth : p.area;
      const auto right = smallPieces(panel, Hand::right);
      EXPECT_EQ(right.size(), listed) << name;
      for (const Drawing& d : right) print += std::abs(signedArea(d.strokes.front().points));
      EXPECT_NEAR(print, area, 1e-6 * area + 1e-6) << name;
    }
  }
}

/// A file of version 13: sheet of one layer, grain along the span, that ends at a spar's rear or a fraction; no
/// records.
TEST(SkinChoices, OlderFilesHaveThePlainOnes) {
  const auto read = designFromText(test::slurp(test::testFile("version13.euptera")));
  ASSERT_TRUE(read.ok()) << read.problem().text();
  EXPECT_TRUE(read.value().notes.empty());
  const Design& d = read.value().design;
  EXPECT_TRUE(d.records.looked.empty());
  EXPECT_EQ(d.cutList.coverRoll, CutList{}.coverRoll);
  for (const PanelDesign& p : d.wings.front().panels) {
    EXPECT_EQ(p.sheeting.layers, 1);
    EXPECT_EQ(p.sheeting.grainDeg, 0);
    EXPECT_TRUE(p.holds.empty());
    for (const SheetedBays& bays : p.sheeted) EXPECT_EQ(bays.layers, 1);
  }
  // A sheet that ended at a spar ended at its rear face.
  std::string old = test::slurp(test::testFile("version13.euptera"));
  const auto at = old.find("\"to\": \"fraction\"", old.find("\"sheeting\""));
  if (at != std::string::npos) {
    old.replace(at, 16, "\"to\": \"spar\"");
    const auto spar = designFromText(old);
    ASSERT_TRUE(spar.ok()) << spar.problem().text();
    EXPECT_EQ(spar.value().design.inner().sheeting.to, SheetTo::sparRear);
  }
}

} // namespace
} // namespace eup
