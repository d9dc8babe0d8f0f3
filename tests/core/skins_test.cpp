// Skins laid flat: cylinder, cone and plane exactly; a second route's values; rolled back on to the surface.
#include "cli/commands.h"
#include "core/described/design_file.h"
#include "core/edit/panel_edit.h"
#include "core/files/json.h"
#include "core/files/shipped.h"
#include "core/files/text_file.h"
#include "core/geometry/polyline.h"
#include "core/geometry/region.h"
#include "core/skins/skin_list.h"
#include "core/takeaway/take_away.h"
#include "support.h"
#include <numbers>
#include <rapidcheck/gtest.h>

namespace eup {
namespace {

using test::figureOf;
using test::wingOf;

EndPlane rootOf(const PanelLoft&) {
  return {};
}
EndPlane tipOf(const PanelLoft& loft) {
  return {loft.span(), 0, 0};
}

SheetedBays sheetOver(bool top, bool bottom, int from, int to, double thickness, const char* material) {
  SheetedBays out;
  out.top = top, out.bottom = bottom, out.fromRib = from, out.toRib = to;
  out.thickness = thickness, out.material = material;
  return out;
}

FlatPattern between(const FlatSurface& s, double from, double to) {
  return flatPattern(s, SurfaceLine::atFraction(from), SurfaceLine::atFraction(to), rootOf(s.loft), tipOf(s.loft));
}

/// Half a circle's upper face of chord 1, as a section.
Section halfCircle() {
  Polyline upper, lower;
  constexpr int steps = 2000;
  for (int i = 0; i <= steps; ++i) {
    const double a = std::numbers::pi * i / steps;
    upper.emplace_back((1 - std::cos(a)) / 2, std::sin(a) / 2);
    lower.emplace_back((1 - std::cos(a)) / 2, -0.01 * std::sin(a));
  }
  return sectionFromCurves("half circle", upper, lower);
}

PanelLoft loftOf(double span, double root, double tip, double setback, const Section& section) {
  Panel p = test::panelOf(span, root, tip, setback);
  return {p, section, section};
}

/// A cylinder of radius 50 over 300: a rectangle as wide as half its girth.
TEST(FlatPattern, OfACylinderIsARectangle) {
  const PanelLoft loft = loftOf(300, 100, 100, 0, halfCircle());
  const FlatSurface s(loft, Face::upper, 0, 1);
  const FlatPattern p = between(s, 0, 1);
  const double girth = std::numbers::pi * 50;
  EXPECT_NEAR(p.innerWidth, girth, 0.05) << "a section's own hundred points";
  EXPECT_NEAR(p.outerWidth, girth, 0.05);
  EXPECT_NEAR(p.area, girth * 300, 15);
  EXPECT_NEAR(lengthOf(p.front), 300, 1e-9);
  for (const Point& q : p.inner) EXPECT_NEAR(q.y(), 0, 1e-6);
  EXPECT_NEAR(p.turn, 0, 1e-6);
  EXPECT_NEAR(p.misfit, 0, 1e-9);
}

// A cone of radius 60 to 40 over 300, its axis in the middle of the chord: slant √(300² + 20²) = 300.666, developed
// radii 901.998 and 601.332, half a turn of it spread over 11.973°.
TEST(FlatPattern, OfAConeIsASectorOfARing) {
  const PanelLoft loft = loftOf(300, 120, 80, 20, halfCircle());
  const FlatSurface s(loft, Face::upper, 0, 1);
  const FlatPattern p = between(s, 0, 1);
  const double slant = std::hypot(300, 20);
  EXPECT_NEAR(lengthOf(p.front), slant, 1e-6);
  EXPECT_NEAR(lengthOf(p.rear), slant, 0.01);
  EXPECT_NEAR(p.innerWidth, std::numbers::pi * 60, 0.06);
  EXPECT_NEAR(p.outerWidth, std::numbers::pi * 40, 0.06);
  // Its apex: on the front edge's line, 901.998 from the inner end. All of the inner end lies that far from it.
  const Point apex = p.front.front() + (p.front.back() - p.front.front()).normalized() * 901.998;
  for (const Point& q : p.inner) EXPECT_NEAR((q - apex).norm(), 901.998, 0.03);
  for (const Point& q : p.outer) EXPECT_NEAR((q - apex).norm(), 601.332, 0.03);
  const Point a = p.inner.front() - apex, b = p.inner.back() - apex;
  EXPECT_NEAR(radToDeg(std::acos(a.dot(b) / a.norm() / b.norm())), 11.973, 0.01) << "half the girth of the cone";
  EXPECT_NEAR(p.area, std::numbers::pi / 2 * (60 + 40) * slant, 18);
  EXPECT_NEAR(p.misfit, 0, 1e-4);
}

/// A flat plate swept back: the pattern is its own outline.
TEST(FlatPattern, OfAPlaneIsItself) {
  Polyline line;
  for (int i = 0; i <= 200; ++i) line.emplace_back(i / 200.0, 0);
  const PanelLoft loft = loftOf(400, 200, 120, 90, sectionFromCurves("plate", line, line));
  const FlatSurface s(loft, Face::upper, 0, 1);
  const FlatPattern p = between(s, 0, 1);
  EXPECT_NEAR(p.innerWidth, 200, 1e-6);
  EXPECT_NEAR(p.outerWidth, 120, 1e-6);
  EXPECT_NEAR(p.area, 160 * 400, 1e-3);
  EXPECT_NEAR(p.innerAngle, std::atan2(90, 400), 1e-9) << "the rear corner lies farther out, by the sweep";
  EXPECT_NEAR(p.misfit, 0, 1e-9);
}

/// W13 of a second route (brute force in space): 2411 to 2409, 210 to 150 over 620, 60 back, tip turned 1.5° about a
/// quarter of its chord.
PanelLoft secondRoute(const Section& root, const Section& tip) {
  Panel p = test::panelOf(620, 210, 150, 60, 1.5, 0.25);
  return {p, root, tip};
}
Section digits(const char* name) {
  Design d = test::bareDesign();
  d.inner().sections.root = d.inner().sections.tip = nacaSection(name);
  return wingOf(d).inner().shape.rootSection;
}

TEST(FlatPattern, AgreesWithASecondRoute) {
  const PanelLoft loft = secondRoute(digits("2411"), digits("2409"));
  struct Known {
    Face face;
    double root, tip, area, turnDeg, mid;
  };
  for (const Known& k : {Known{Face::upper, 215.191, 152.804, 114099, 3.56628, 0.0289177},
                         Known{Face::lower, 212.384, 151.163, 112708, 7.83917, 0.0282514}}) {
    const FlatSurface s(loft, k.face, 0, 1);
    const FlatPattern p = between(s, 0, 1);
    EXPECT_NEAR(p.innerWidth, k.root, 0.05 + 0.001 * k.root);
    EXPECT_NEAR(p.outerWidth, k.tip, 0.05 + 0.001 * k.tip);
    EXPECT_NEAR(p.area, k.area, 0.001 * k.area);
    EXPECT_NEAR(radToDeg(p.turn), k.turnDeg, 0.05 * k.turnDeg);
    EXPECT_NEAR(p.misfit, k.mid, 0.004);
  }
  // The flat ends of the upper skin to 30 %, point by point, by places along them.
  const FlatSurface s(loft, Face::upper, 0, 0.3);
  const FlatPattern p = between(s, 0, 0.3);
  const Polyline root{{0, 0}, {0.886, 0.004}, {8.811, 0.551}, {24.28, 1.98}, {46.843, 4.171}, {64.993, 5.964}},
      tip{{0, 622.898}, {0.479, 622.9}, {5.752, 623.284}, {16.661, 624.298}, {32.737, 625.855}, {45.698, 627.131}};
  const auto away = [](const Polyline& line, const Point& q) {
    double least = 1e9;
    for (std::size_t i = 0; i + 1 < line.size(); ++i) {
      const Point way = line[i + 1] - line[i];
      const double t = std::clamp((q - line[i]).dot(way) / std::max(way.squaredNorm(), 1e-12), 0.0, 1.0);
      least = std::min(least, (q - line[i] - t * way).norm());
    }
    return least;
  };
  for (const Point& q : root) EXPECT_LT(away(p.inner, q), 0.06) << q.x();
  for (const Point& q : tip) EXPECT_LT(away(p.outer, q), 0.06) << q.x();
}

/// Rolled back: distances between a pattern's points along its ribs are those on the wing. Every rib's line is as long
/// as the rib's own edge there, within a tenth of a millimetre, and the ribs' ends lie where the edges are cut by them.
RC_GTEST_PROP(Skins, RollBackOnToTheWing, ()) {
  const auto some = [](double low, double high) { return low + (high - low) * *rc::gen::inRange(0, 1001) / 1000.0; };
  Design d;
  PanelDesign& p = d.inner();
  p.panel = test::panelOf(some(300, 900), some(150, 280), some(110, 260), some(-80, 160), some(-3, 3), some(0, 0.6));
  p.ribs.count = *rc::gen::inRange(3, 9);
  p.sheeting.fraction = some(0.15, 0.6);
  p.leadingEdge.kind = *rc::gen::element(LeadingEdgeKind::none, LeadingEdgeKind::square);
  const auto result = work(d);
  const auto* w = std::get_if<TrueWing>(&result);
  if (!w) return;
  const TruePanel& panel = w->inner();
  RC_ASSERT(panel.skins.size() == 2u);
  for (const Skin& skin : panel.skins) {
    std::size_t next = 0;
    Point lastFront(0, 0), lastRear(0, 0);
    Point3 wasFront(0, 0, 0), wasRear(0, 0, 0);
    for (const Rib& rib : panel.frame.ribs) {
      if (rib.kind != RibKind::main) continue;
      const FaceRun& run = skin.face == Face::upper ? rib.upperRun : rib.lowerRun;
      RC_ASSERT(next < skin.ribs.size());
      const Polyline& line = skin.ribs[next++].line;
      const double slack = 0.12 + std::abs(skin.pattern.misfit);
      const double wood = p.leadingEdge.kind == LeadingEdgeKind::none ? run.sheetArc : run.sheetWood;
      RC_ASSERT(std::abs(lengthOf(line) - wood) < slack + 0.002 * wood);
      // Its ends lie as far from the next rib's as on the wing.
      const double t = rib.t();
      const auto onWing = [&](double fraction) {
        const Point q = panel.shape.loft.at(skin.face, fraction, t);
        return Point3(q.x(), t, q.y());
      };
      const double chord = rib.frame.chord, nose = noseCut(panel.design, 0);
      const Point3 front = onWing(nose / chord), rear = onWing(panel.design.sheeting.fraction);
      if (next > 1) {
        RC_ASSERT(nose == 0 || std::abs((line.front() - lastFront).norm() - (front - wasFront).norm()) < 0.1);
        RC_ASSERT(std::abs((line.back() - lastRear).norm() - (rear - wasRear).norm()) < 0.1);
      }
      lastFront = line.front(), lastRear = line.back(), wasFront = front, wasRear = rear;
    }
  }
}

TEST(Skins, EndsAreCutToTheJoin) {
  Design d;
  d.inner().panel = test::panelOf(600, 200, 200, 120, 0);
  d.inner().leadingEdge.kind = LeadingEdgeKind::none;
  d.inner().join.dihedral = {DihedralBy::angle, 0};
  const TrueWing flat = wingOf(d);
  // Swept back without taper: end and front edge are out of square by the sweep, at both ends alike.
  for (const char* end : {"inner", "outer"})
    EXPECT_NEAR(radToDeg(figureOf(flat, std::string("skin.nose.top.") + end + "Angle")), radToDeg(std::atan2(120, 600)),
                1.0)
        << end;
}

TEST(Skins, AreJoinedOnRibsThatTheStockReaches) {
  Design d;
  d.inner().panel = test::panelOf(1900, 240, 200, 0);
  d.inner().ribs.count = 20; // every 100
  d.cutList.stock = 915;
  const TrueWing w = wingOf(d);
  const auto at = [&](std::size_t skin) {
    std::vector<double> out;
    for (const SkinJoint& j : w.inner().skins[skin].joints) out.push_back(w.inner().rib(j.rib).t());
    return out;
  };
  EXPECT_EQ(at(0), (std::vector<double>{900, 1800}));
  EXPECT_EQ(at(1), (std::vector<double>{800, 1700})) << "not under the top's";
  EXPECT_EQ(figureOf(w, "skin.nose.top.strips"), std::ceil(figureOf(w, "skin.nose.top.innerWidth") / 100));
}

/// Bays sheeted all over: ribs lie under the sheet, lose their cap strips, and the sheet is as wide as their edges.
TEST(SheetedBays, TakeTheRibsUnderThem) {
  Design d;
  d.inner().panel = test::panelOf(700, 240, 170, 20, 1);
  d.inner().ribs.count = 8;
  const TrueWing bare = wingOf(d);
  d.inner().sheeted = {sheetOver(true, false, 1, 4, 2.0, "balsa-160")};
  d.inner().capStrips.thickness = 1;
  const TrueWing w = wingOf(d);
  const TruePanel& p = w.inner();
  const Skin* skin = nullptr;
  for (const Skin& one : p.skins)
    if (one.key == "bays.1.top") skin = &one;
  ASSERT_NE(skin, nullptr);
  EXPECT_NEAR(skin->pattern.innerWidth, p.frame.ribs[0].upperRun.sheeted, 0.3);
  EXPECT_NEAR(skin->pattern.outerWidth, p.frame.ribs[3].upperRun.sheeted, 0.3);
  EXPECT_NEAR(lengthOf(skin->pattern.rear), p.frame.ribs[3].t(), 2);
  double strips = 0, sheet = 0;
  for (const Part& part : p.parts) {
    if (part.what() == Part::What::capStrips && part.key().ends_with("top") && *part.rib <= 4) ++strips;
    if (part.key() == "bays.1.top") {
      sheet = part.grams;
      EXPECT_NEAR(part.centre.y(), p.frame.ribs[3].t() / 2, 12);
    }
  }
  EXPECT_EQ(strips, 0);
  EXPECT_NEAR(sheet, skin->pattern.area * 2 * 160e-6, 1e-6);
  // Half way back a rib of them is 2 lower than bare, square to its surface; one beyond is 1 lower.
  const auto top = [](const Rib& rib) {
    const double x = 0.55 * rib.frame.chord;
    return boundsOf(intersect(rib.wood, {rectangle({x, -99}, {x + 0.01, 99})})).high.y();
  };
  const auto face = [](const Rib& rib) {
    const auto place = lastCrossing(rib.upper, 0.55 * rib.frame.chord);
    return pointAt(rib.upper, *place).y();
  };
  EXPECT_NEAR(face(p.frame.ribs[2]) - top(p.frame.ribs[2]), 2, 0.05);
  EXPECT_NEAR(face(p.frame.ribs[5]) - top(p.frame.ribs[5]), 1, 0.05);
  ASSERT_TRUE(w.inner().strength.twist && bare.inner().strength.twist);
  EXPECT_GT(w.inner().strength.twist->stiffness, bare.inner().strength.twist->stiffness);
  d.inner().sheeted = {sheetOver(true, true, 5, 3, 1.5, "balsa-160")};
  EXPECT_TRUE(test::hasFinding(findingsOf(wingOf(d)), "sheeted.ribs"));
  d.inner().sheeted = {sheetOver(true, true, 1, 4, 1.5, "balsa-160"), sheetOver(true, false, 3, 6, 1.5, "balsa-160")};
  EXPECT_TRUE(test::hasFinding(findingsOf(wingOf(d)), "sheeted.over"));
}

/// A panel that is cut in two and merged again keeps its sheet; a run past the last rib ends on it.
TEST(SheetedBays, AreCutAndMergedWithTheirPanel) {
  Design d;
  d.inner().panel = test::panelOf(700, 240, 170, 20, 0);
  d.inner().ribs.count = 8; // every 100
  d.inner().sheeted = {sheetOver(true, true, 2, 6, 1.5, "balsa-160"), sheetOver(true, false, 7, 400, 1.5, "balsa-160")};
  const TrueWing whole = wingOf(d);
  const auto covered = [](const TrueWing& w) {
    double all = 0;
    for (const TruePanel& p : w.main().panels)
      for (const Skin& s : p.skins)
        if (s.what == Skin::What::bays) all += s.pattern.area;
    return all;
  };
  const auto cut = withPanelSplit(d, {0, 0}, 300);
  ASSERT_TRUE(cut.ok());
  const auto& panels = cut.value().wings[0].panels;
  ASSERT_EQ(panels[0].sheeted.size(), 1u);
  EXPECT_EQ(panels[0].sheeted[0].toRib, 4) << "at the cut";
  ASSERT_EQ(panels[1].sheeted.size(), 2u);
  EXPECT_EQ(panels[1].sheeted[0].fromRib, 1);
  EXPECT_EQ(panels[1].sheeted[0].toRib, 3);
  EXPECT_NEAR(covered(wingOf(cut.value())), covered(whole), 0.01 * covered(whole));
  const auto merged = withPanelsMerged(cut.value(), {0, 0});
  ASSERT_TRUE(merged.ok());
  EXPECT_NEAR(covered(wingOf(merged.value())), covered(whole), 0.01 * covered(whole));
}

/// What is cut on the skins' print is what the parts list says is drawn there.
TEST(Skins, ThePrintIsTheList) {
  for (const std::string& name : shipped::demoNames()) {
    const TrueWing w = wingOf(demoDesign(name));
    for (const TruePanel& p : w.main().panels) {
      double listed = 0, cut = 0;
      for (const Part& part : p.parts)
        if (part.what() == Part::What::sheet && !part.key().starts_with("cloth")) {
          listed += (p.sheet ? part.count : 1) * part.area; // a sheet's boards are joined before they are cut
          EXPECT_EQ(part.drawn, DrawnOn::skins) << part.name;
        }
      for (const Skin& skin : p.skins)
        if (skin.what != Skin::What::tail) cut += skin.area();
      if (p.sheet) cut += p.sheet->area;
      EXPECT_NEAR(listed, cut, 1e-9) << name;
    }
  }
}

/// The nose sheet weighs what its ribs' edges say: ∫ of the wood along them, by hand on a plain wing.
TEST(Skins, NoseSheetWeighsWhatLiesOnTheRibs) {
  Design d;
  d.inner().panel = test::panelOf(700, 240, 170, 20, 0);
  d.inner().join.dihedral = {DihedralBy::angle, 0};
  const TrueWing w = wingOf(d);
  for (const bool top : {true, false}) {
    double sum = 0;
    const auto& ribs = w.inner().frame.ribs;
    for (std::size_t i = 1; i < ribs.size(); ++i)
      sum += ((top ? ribs[i].upperRun : ribs[i].lowerRun).sheetWood +
              (top ? ribs[i - 1].upperRun : ribs[i - 1].lowerRun).sheetWood) /
             2 * (ribs[i].t() - ribs[i - 1].t());
    for (const Part& part : w.inner().parts) {
      if (part.key() != (top ? "sheet.top" : "sheet.bottom")) continue;
      EXPECT_NEAR(part.area, sum, 0.003 * sum);
      EXPECT_NEAR(part.grams, sum * part.stock.thickness * 160e-6, 0.003 * part.grams);
    }
  }
}

/// One that reaches no farther than the leading edge's stock is no sheet, and that is said.
TEST(Skins, ThatEndBeforeTheyBeginAreSaid) {
  Design d;
  d.inner().sheeting.fraction = 0.02;
  d.inner().leadingEdge.kind = LeadingEdgeKind::square, d.inner().leadingEdge.width = 12;
  const TrueWing w = wingOf(d);
  EXPECT_TRUE(w.inner().skins.empty());
  EXPECT_TRUE(test::hasFinding(findingsOf(w), "skin.none"));
}

TEST(Skins, TellWhenTheyCannotBeBent) {
  Design d;
  d.inner().leadingEdge.kind = LeadingEdgeKind::none; // round a nose of 1.6 % of the chord
  d.inner().sheeting.thickness = 3;
  EXPECT_TRUE(test::hasFinding(findingsOf(wingOf(d)), "skin.breaks"));
  d.inner().sheeting.top = d.inner().sheeting.bottom = false;
  const TrueWing bare = wingOf(d);
  EXPECT_TRUE(bare.inner().skins.empty());
  EXPECT_TRUE(figuresOf(bare, Stage::skins).empty());
}

/// The left hand's pattern is the right one's turned over, and what is cut is the pattern.
TEST(Skins, ArePrintedForBothHands) {
  for (const std::string& name : shipped::demoNames()) {
    const TrueWing w = wingOf(demoDesign(name));
    for (const TruePanel& panel : test::drawn(w)) {
      const auto right = skinPatterns(panel, Hand::right), left = skinPatterns(panel, Hand::left);
      ASSERT_EQ(right.size(), panel.skins.size());
      for (std::size_t i = 0; i < right.size(); ++i) {
        EXPECT_NEAR(std::abs(signedArea(right[i].strokes.front().points)),
                    std::abs(signedArea(panel.skins[i].shape.front())), 1e-6);
        for (std::size_t k = 0; k < right[i].strokes.front().points.size(); ++k)
          EXPECT_NEAR(left[i].strokes.front().points[k].x(), -right[i].strokes.front().points[k].x(), 1e-9);
      }
    }
  }
}

TEST(Skins, AreToldOnTheCommandLine) {
  test::ScratchFolder folder;
  const auto path = folder.path / "w.euptera";
  ASSERT_TRUE(writeFileAtomically(path, designToText(demoDesign("fenlark-1500"))).ok());
  std::ostringstream out, words, err;
  ASSERT_EQ(cli::run({"skins", path.string(), "--json"}, out, err), cli::fine) << err.str();
  const auto json = test::jsonOf(out.str());
  ASSERT_FALSE(json["skins"].empty());
  const TrueWing w = wingOf(demoDesign("fenlark-1500"));
  EXPECT_NEAR(json["skins"][0]["innerWidth"].get<double>(), figureOf(w, "skin.nose.top.innerWidth"), 1e-9);
  EXPECT_GT(json["skins"][0]["outline"].size(), 50u);
  ASSERT_EQ(cli::run({"skins", path.string()}, words, err), cli::fine);
  EXPECT_NE(words.str().find("Width at the root"), std::string::npos);
}

} // namespace
} // namespace eup
