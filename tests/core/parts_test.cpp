// The list of parts is the one home of masses: each piece by hand, and everything that tells grams against it.
#include "core/described/design_file.h"
#include "core/files/shipped.h"
#include "core/parts/diagonals.h"
#include "core/trials/stiffening.h"
#include "support.h"

namespace eup {
namespace {

using test::wingOf;

const Part* named(const TruePanel& p, const std::string& name) {
  for (const Part& part : p.parts)
    if (part.name == name) return &part;
  ADD_FAILURE() << "no " << name;
  return nullptr;
}

TEST(Parts, AreEachPieceOnceAndAddUp) {
  for (const std::string& name : shipped::demoNames()) {
    const TrueWing w = wingOf(demoDesign(name));
    for (const WholeWing& wing : w.wings)
      for (const TruePanel& p : wing.panels) {
        std::set<std::string> names;
        double grams = 0;
        for (const Part& part : p.parts) {
          EXPECT_GT(part.grams, 0) << part.name;
          EXPECT_FALSE(part.material.empty()) << part.name;
          grams += part.grams;
          double along = 0;
          for (const Part::Run& r : part.runs) along += (r.atFrom + r.atTo) / 2 * (r.to - r.from);
          if (!part.runs.empty()) {
            EXPECT_NEAR(along, part.grams, 1e-9) << part.name;
          }
        }
        EXPECT_NEAR(grams, p.mass.grams(), 1e-9);
        int ribs = 0;
        for (const Part& part : p.parts) ribs += part.what() == Part::What::ribs;
        const auto stations = static_cast<int>(p.frame.ribs.size() + p.frame.riblets.size());
        const FoamPanel& foam = p.design.foam;
        const int onCores = foam.endRib <= 0 ? 0 : foam.ribsBetween ? foam.cores + 1 : 2;
        EXPECT_EQ(ribs, p.sheet ? 0 : p.foam ? onCores : stations) << name;
      }
  }
}

TEST(Parts, ByHand) {
  Design d;
  const TrueWing w = wingOf(d);
  const TruePanel& p = w.inner();
  // Two spruce caps of 6 × 3, 400 kg/m³, along the spar's run.
  EXPECT_NEAR(named(p, "main spar, top cap")->grams, 6 * 3 * 700 * p.frame.spars[0].stretch * 400e-6, 1e-6);
  EXPECT_NEAR(named(p, "R3")->grams, p.frame.ribs[2].cutArea * 2 * 160e-6, 1e-9);
  // A wedge is half of its width × the depth before it: between the panel's ends that depth changes straight.
  const auto deep = [&](double t) {
    const double chord = p.shape.loft.frameAt(t).chord, f = 1 - 28 / chord;
    return p.shape.loft.at(Face::upper, f, t).y() - p.shape.loft.at(Face::lower, f, t).y();
  };
  EXPECT_NEAR(named(p, "trailing edge")->grams, 28 * (deep(0) + deep(700)) / 4 * 700 * 160e-6,
              0.01 * named(p, "trailing edge")->grams);
}

/// Bars across a bay: by Pythagoras, from the spar's seat to the trailing stock behind it.
TEST(Parts, DiagonalsAndTipsWeighSomething) {
  Design d;
  d.inner().panel = test::panelOf(660, 200, 200);
  d.inner().ribs.count = 12; // bays of 60
  d.inner().stiffening.diagonals = Diagonals::oneWay;
  d.inner().stiffening.plane = DiagonalPlane::top;
  d.inner().tip.kind = TipKind::plate;
  const TrueWing w = wingOf(d);
  const double reach = 200 - 28 - 0.3 * 200; // from the spar's line to the stock, seen from above
  const double length = std::hypot(60, reach);
  EXPECT_NEAR(named(w.inner(), "diagonal 1 of bay 4")->grams, length * 9 * 160e-6, 0.02 * length * 9 * 160e-6);
  EXPECT_NEAR(w.inner().mass.gramsOf(Part::What::diagonals), 11 * length * 9 * 160e-6, 0.25 * length * 9 * 160e-6);
  // A plate of 3 mm as large as the tip section and 3 mm all round: more than the section, less than its box.
  const double section = w.inner().shape.tipMeasures.area * 200 * 200;
  EXPECT_GT(w.inner().mass.gramsOf(Part::What::tip), section * 3 * 160e-6);
  EXPECT_LT(w.inner().mass.gramsOf(Part::What::tip), 206 * 32 * 3 * 160e-6);
}

/// What a way to stiffen is said to weigh is what the wing weighs more when it is taken.
TEST(Parts, WaysToStiffenWeighWhatTheWingWeighsMore) {
  for (const char* name : {"fenlark-1500", "skerrow-1460", "gossamoor-480"}) {
    const Design d = demoDesign(name);
    const TrueWing w = wingOf(d);
    const auto trials = stiffeningTrials(w.inner());
    for (const StiffeningTrial& t : trials) {
      if (!t.change) continue;
      Design changed = d;
      t.change(changed.inner());
      const auto after = work(changed);
      if (!std::holds_alternative<TrueWing>(after)) continue; // alone it cannot be
      EXPECT_NEAR(std::get<TrueWing>(after).inner().mass.grams() - w.inner().mass.grams(), t.grams, 1e-6)
          << name << ": " << t.what;
    }
  }
}

/// A zigzag begins at the spar at the root and turns in every bay; of chosen bays only those, and none beyond the last.
TEST(Diagonals, RunAsTheyAreDecided) {
  Stiffening s;
  s.diagonals = Diagonals::zigzag;
  s.plane = DiagonalPlane::sloping;
  const auto zigzag = diagonalBars(s, 4);
  ASSERT_EQ(zigzag.size(), 4u);
  for (std::size_t i = 0; i < zigzag.size(); ++i) {
    EXPECT_EQ(zigzag[i].bay, static_cast<int>(i) + 1);
    EXPECT_EQ(zigzag[i].fromFront, i % 2 == 0);
    EXPECT_TRUE(zigzag[i].topInFront && !zigzag[i].topBehind) << "from the spar's top to the underside behind it";
  }
  s.diagonals = Diagonals::crossed;
  s.plane = DiagonalPlane::both;
  s.firstBay = 2, s.lastBay = 99;
  const auto crossed = diagonalBars(s, 3);
  ASSERT_EQ(crossed.size(), 8u) << "two bays, two planes, two ways";
  EXPECT_EQ(crossed.front().bay, 2);
  EXPECT_EQ(crossed.back().bay, 3);
  s.diagonals = Diagonals::none;
  EXPECT_TRUE(diagonalBars(s, 3).empty());
}

/// What holds the join is weighed: half of a plate that both hands share, by its own outline.
TEST(Parts, OfTheJoinAreWeighed) {
  Design d;
  const TrueWing w = test::wingOf(d);
  const Brace& b = w.inner().join.braces.at(0);
  double area = 0; // by trapezoids between the outline's own corners
  for (std::size_t i = 0; i < b.outline.size(); ++i) {
    const Point &p = b.outline[i], &q = b.outline[(i + 1) % b.outline.size()];
    area += (q.x() - p.x()) * (q.y() + p.y()) / 2;
  }
  const double density = w.inner().design.tables.named(d.inner().join.braces[0].material).density;
  EXPECT_NEAR(w.inner().mass.gramsOf(Part::What::brace),
              std::abs(area) / 2 * d.inner().join.braces[0].thickness * d.inner().join.braces[0].plates() * density *
                  1e-6,
              1e-9);
  d.inner().join.joiner.fitted = true;
  d.inner().join.joiner.bore = 6;
  const TrueWing rod = test::wingOf(d);
  const double wall = 3.14159265 / 4 * (64 - 36) * rod.inner().joiner->reach;
  EXPECT_NEAR(rod.inner().mass.gramsOf(Part::What::joiner),
              wall * rod.inner().design.tables.named(d.inner().join.joiner.material).density * 1e-6, 1e-3);
}

/// Sheet ends at the stock that it is butted to, and covering lies on the faces that are covered.
TEST(Parts, SheetStopsAtTheStockAndCoveringOnItsFaces) {
  Design d;
  d.inner().panel = test::panelOf(500, 200, 200);
  d.inner().sheeting.fraction = 1;
  d.inner().leadingEdge.kind = LeadingEdgeKind::square;
  d.inner().leadingEdge.width = 10;
  d.inner().trailingEdge.kind = TrailingEdgeKind::wedge;
  d.inner().trailingEdge.width = 30;
  d.inner().stiffening.covering = "film";
  const TrueWing w = test::wingOf(d);
  const Rib& r = w.inner().frame.ribs[3];
  double arcs = 0; // along the outline, from 10 to 170 of the chord
  for (const Polyline* face : {&r.upper, &r.lower})
    for (std::size_t i = 1; i < face->size(); ++i) {
      const Point a = (*face)[i - 1], b = (*face)[i];
      const double from = std::clamp(10.0, a.x(), std::max(a.x(), b.x())),
                   to = std::clamp(170.0, a.x(), std::max(a.x(), b.x()));
      if (b.x() > a.x()) arcs += (b - a).norm() * (to - from) / (b.x() - a.x());
    }
  EXPECT_NEAR(r.upperRun.sheetWood + r.lowerRun.sheetWood, arcs, 0.01);
  const double both = w.inner().mass.gramsOf(Part::What::covering);
  d.inner().stiffening.coveringOn = CoveringOn::top;
  EXPECT_NEAR(test::wingOf(d).inner().mass.gramsOf(Part::What::covering), both / 2, 1e-9);
}

/// A wing that weighs more than the whole model is told.
TEST(Parts, AWingHeavierThanItsModelIsTold) {
  Design d;
  EXPECT_FALSE(test::hasFinding(findingsOf(test::wingOf(d)), "mass.model"));
  d.flying.mass = 60;
  EXPECT_TRUE(test::hasFinding(findingsOf(test::wingOf(d)), "mass.model"));
  for (const std::string& name : shipped::demoNames())
    EXPECT_FALSE(test::hasFinding(findingsOf(test::wingOf(demoDesign(name))), "mass.model")) << name;
}

} // namespace
} // namespace eup
