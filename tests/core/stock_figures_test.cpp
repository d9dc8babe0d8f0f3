// Strips as they are bought, ripped, scarfed and planed; cutters that take wood away; ribs of two woods.
#include "core/described/design_file.h"
#include "core/edit/panel_edit.h"
#include "core/files/shipped.h"
#include "core/geometry/polyline.h"
#include "core/takeaway/piece_list.h"
#include "core/takeaway/take_away.h"
#include "core/trials/trial_assembly.h"
#include "support.h"
#include <rapidcheck/gtest.h>

namespace eup {
namespace {

using test::figureOf;
using test::wingOf;

const Part* partOf(const TruePanel& panel, const std::string& key) {
  for (const Part& p : panel.parts)
    if (p.key() == key) return &p;
  ADD_FAILURE() << "no " << key;
  return nullptr;
}

Design plain(double span) {
  Design d = test::bareDesign();
  d.inner().panel = test::panelOf(span, 200, 200);
  d.inner().join.dihedral = {DihedralBy::angle, 0};
  d.inner().spars = {Spar{}};
  return d;
}

// 12 to 9 over 915: 0.18785° (worked by hand); parallel up to a third of it the same comes off over two thirds.
TEST(Fence, IsSetOffByTheTaper) {
  Design d = plain(915);
  Cap& top = d.inner().spars[0].top;
  top.width = 12, top.tapers = true, top.tipWidth = 9, top.tipDepth = top.depth;
  EXPECT_NEAR(radToDeg(figureOf(wingOf(d), "fence.spar.1.top")), 0.18785, 1e-5);
  top.taperFrom = 1.0 / 3;
  EXPECT_NEAR(radToDeg(figureOf(wingOf(d), "fence.spar.1.top")), 0.28178, 1e-5);
  EXPECT_EQ(figureNamed(wingOf(d), "fence.spar.1.bottom"), nullptr);
  // The bottom cap has a fence and decisions of its own, and goes by its spar's number.
  d.inner().spars.push_back(d.inner().spars[0]);
  d.inner().spars[1].rootFraction = d.inner().spars[1].tipFraction = 0.6;
  Cap& bottom = d.inner().spars[1].bottom;
  bottom = d.inner().spars[0].top;
  bottom.tipWidth = 6;
  const TrueWing two = wingOf(d);
  const Figure* fence = figureNamed(two, "fence.spar.2.bottom");
  ASSERT_NE(fence, nullptr);
  EXPECT_NEAR(fence->value, std::atan(6 / 610.0), 1e-5);
  EXPECT_EQ(fence->decisions.front(), "wings.0.panels.0.spars.1.bottom.width");
}

/// A cap that is parallel over its inner part: its width at any place by hand, its mass by areas, and the same strip
/// when the panel is cut through it.
TEST(Taper, MayBeginFurtherOut) {
  Design d = plain(1000);
  Cap& top = d.inner().spars[0].top;
  top.width = 10, top.depth = 4, top.tapers = true, top.tipWidth = 4, top.tipDepth = 4, top.taperFrom = 0.6;
  EXPECT_NEAR(capAt(top, 0.6).width, 10, 1e-12);
  EXPECT_NEAR(capAt(top, 0.8).width, 7, 1e-12);
  EXPECT_NEAR(capAt(top, 1).width, 4, 1e-12);
  const TrueWing w = wingOf(d);
  const double grams = (600 * 40 + 400 * 28) * 400e-6; // spruce of 400 kg/m³
  EXPECT_NEAR(partOf(w.inner(), "spar.1.top")->grams, grams, 1e-3 * grams);
  d.inner().spars[0].bottom.fitted = false;
  EXPECT_NEAR(sparGrams(d.inner().spars[0], w.inner().frame.spars[0], w.inner().design.tables), grams, 1e-6);
  for (const double t : {300.0, 800.0}) {
    const auto cut = withPanelSplit(d, {}, t);
    ASSERT_TRUE(cut.ok()) << cut.problem().cause;
    const auto& panels = cut.value().wings[0].panels;
    for (const double at : {100.0, 299.0, 500.0, 650.0, 799.0, 950.0}) {
      const bool inside = at < t;
      const Cap& piece = panels[inside ? 0 : 1].spars[0].top;
      EXPECT_NEAR(capAt(piece, inside ? at / t : (at - t) / (1000 - t)).width, capAt(top, at / 1000).width, 1e-9)
          << t << " " << at;
    }
  }
}

// By hand: 1200 of strip from lengths of 1000, 4 deep, scarfed 10 to 1: the scarf's middle 980 out; below a tenth
// nearer.
TEST(Scarf, StripsLongerThanTheirStock) {
  Design d = plain(1200);
  d.cutList.stock = 1000, d.cutList.scarf = 10, d.cutList.trim = 0;
  d.inner().spars[0].top.depth = d.inner().spars[0].bottom.depth = 4;
  const TrueWing w = wingOf(d);
  EXPECT_NEAR(figureOf(w, "scarf.spar.1.top"), 980, 1e-9);
  EXPECT_NEAR(figureOf(w, "scarf.spar.1.bottom"), 880, 1e-9);
  const auto made = scarfed(*partOf(w.inner(), "spar.1.top"), d.cutList);
  ASSERT_TRUE(made.has_value());
  EXPECT_EQ(made->lengths, 2);
  // Whatever the lengths are, stock less what the scarfs take reaches over the whole strip, and one less would not.
  for (const double stock : {150.0, 310.0, 700.0}) {
    CutList order = d.cutList;
    order.stock = stock;
    const auto many = scarfed(*partOf(w.inner(), "spar.1.top"), order);
    ASSERT_TRUE(many.has_value());
    const double reach = many->lengths * stock - (many->lengths - 1) * 40;
    EXPECT_GE(reach, 1200);
    EXPECT_LT(reach - (stock - 40), 1200);
    EXPECT_EQ(many->at.size(), static_cast<std::size_t>(many->lengths) - 1);
  }
  d.cutList.stock = 1300;
  EXPECT_EQ(figureNamed(wingOf(d), "scarf.spar.1.top"), nullptr);
}

/// The depth that an edge strip is planed to at a rib is that of the rib's own outline there.
TEST(EdgeStrips, ArePlanedToTheRibs) {
  const TrueWing w = wingOf(demoDesign("fenlark-1500"));
  const TruePanel& p = w.inner();
  double most = 0;
  for (const Rib& rib : p.frame.ribs) {
    const auto depthAt = [&](double x) {
      const auto up = lastCrossing(rib.upper, x), low = lastCrossing(rib.lower, x);
      return pointAt(rib.upper, *up).y() - pointAt(rib.lower, *low).y();
    };
    const double le = figureOf(w, fmt::format("rib.{}.lePlaned", rib.number));
    EXPECT_NEAR(le, depthAt(p.design.leading.onRib()), 0.02) << rib.name();
    EXPECT_NEAR(figureOf(w, fmt::format("rib.{}.tePlaned", rib.number)),
                depthAt(rib.frame.chord - p.design.trailing.onRib()), 0.02)
        << rib.name();
    most = std::max(most, le);
  }
  EXPECT_NEAR(partOf(p, "le")->stock.thickness, most, 1e-9) << "bought as deep as the deepest";
}

/// Two sheets that meet at the tail: a wedge of known angle.
TEST(TrailingSheets, CloseOnABevel) {
  Design d = plain(500);
  d.inner().trailingEdge.kind = TrailingEdgeKind::twoSheets;
  d.inner().trailingEdge.sheet = 1.5;
  const TrueWing w = wingOf(d);
  const SectionMeasures& m = w.inner().shape.rootMeasures;
  EXPECT_NEAR(figureOf(w, "te.bevelRoot"), m.tailAngle / 2, degToRad(0.6))
      << "there it is measured over the last tenth";
  EXPECT_NE(figureNamed(w, "te.bevelRoot")->where.find("wide"), std::string::npos);
}

/// A piece that is cut along its drawing by a cutter is the piece: grown by half the kerf, then worn by it again.
RC_GTEST_PROP(Kerf, IsTakenByTheCutter, ()) {
  const double kerf = *rc::gen::inRange(5, 120) / 100.0;
  const TrueWing w = wingOf(demoDesign(*rc::gen::element<std::string>("fenlark-1500", "oldacre-1320")));
  for (const Hand hand : {Hand::right, Hand::left}) {
    const std::vector<Drawing> parts = ribParts(test::drawn(w), hand);
    const Drawing& part = parts[static_cast<std::size_t>(*rc::gen::inRange(0, 8))];
    const auto loops = [](const Drawing& d) {
      Region out;
      double area = 0;
      for (const Stroke& s : d.strokes)
        if (s.layer == Layer::cut && s.closed) out.push_back(s.points), area += signedArea(s.points);
      if (area < 0)
        for (Polyline& l : out) std::reverse(l.begin(), l.end());
      return out;
    };
    const Region asked = loops(part), path = loops(withKerf(part, kerf)), left = grown(path, -kerf / 2);
    RC_ASSERT(areaOf(path) > areaOf(asked));
    RC_ASSERT(areaOf(subtract(asked, left)) + areaOf(subtract(left, asked)) < 0.004 * areaOf(asked));
  }
}

TEST(Kerf, GoesIntoTheFilesThatCuttersRead) {
  const TrueWing w = wingOf(Design{});
  test::ScratchFolder folder;
  ExportOrder order;
  order.formats = {ExportFormat::svg, ExportFormat::pdf};
  order.pieces = {PrintPiece::ribs, PrintPiece::braces};
  order.hands = {Hand::right};
  const auto files = [&](const char* name) {
    std::map<std::string, std::string> out;
    const auto written = exportWing(w, folder.path / name, order);
    EXPECT_TRUE(written.ok());
    for (const auto& path : written.value()) out[path.filename().string()] = test::slurp(path);
    return out;
  };
  const auto line = files("line");
  order.kerf = 0.2;
  const auto laser = files("laser");
  for (const auto& [name, text] : line)
    EXPECT_EQ(laser.at(name) == text, name.ends_with(".pdf")) << name << ": paper is cut by hand on the line";
}

TEST(TwoWoods, EndAndThickRibs) {
  Design d;
  d.inner().ribs.thick = {4};
  const TrueWing one = wingOf(d);
  for (const SecondWood which : {SecondWood::ends, SecondWood::thick, SecondWood::endsAndThick}) {
    d.inner().ribs.second = which;
    const TrueWing w = wingOf(d);
    for (const char* key : {"rib.1", "rib.4", "rib.5", "rib.12"}) {
      const bool end = std::string(key) == "rib.1" || std::string(key) == "rib.12", thick = std::string(key) == "rib.4";
      const bool second = (end && which != SecondWood::thick) || (thick && which != SecondWood::ends);
      const Part &was = *partOf(one.inner(), key), &is = *partOf(w.inner(), key);
      EXPECT_EQ(is.material, second ? "light-ply" : "balsa-160") << key;
      EXPECT_NEAR(is.grams / was.grams, second ? 420.0 / 160 : 1, 1e-9) << key;
      EXPECT_NEAR(figureOf(w, std::string(key) + ".mass"), is.grams, 1e-9) << key;
    }
  }
}

/// Strips are long enough for the joins: on the list, in every demo, as the saw's planes cut them.
TEST(TrialStrips, AreAsLongAsTheJoinsTake) {
  int looked = 0;
  for (const std::string& name : shipped::demoNames()) {
    const TrueWing w = wingOf(demoDesign(name));
    for (const WholeWing& wing : w.wings)
      for (const AssembledPanel& p : assembled(wing).panels)
        for (const AssembledStrip& s : p.strips) {
          EXPECT_NEAR(s.shortBy, 0, 0.05) << name << " " << s.name;
          ++looked;
        }
  }
  EXPECT_GT(looked, 20);
}

// By hand: a cap 3 deep whose outer face lies 10 under the chord line, at a join of 5°: its lower edge is 10 × tan 5°
// longer.
TEST(TrialStrips, LowerCapsAreLonger) {
  Design d = plain(500);
  d.inner().spars[0].bottom.depth = 3;
  const double flat = partOf(wingOf(d).inner(), "spar.1.bottom")->length,
               flatTop = partOf(wingOf(d).inner(), "spar.1.top")->length;
  d.inner().join.dihedral = {DihedralBy::angle, 5};
  const TrueWing w = wingOf(d);
  const SparLine& line = w.inner().frame.spars[0];
  EXPECT_NEAR(partOf(w.inner(), "spar.1.bottom")->length - flat, -line.lowerSeat.root.y() * std::tan(degToRad(5)),
              0.01);
  const double lowest = line.upperSeat.root.y() - d.inner().spars[0].top.depth;
  EXPECT_NEAR(partOf(w.inner(), "spar.1.top")->length - flatTop, -lowest * std::tan(degToRad(5)), 0.01);
}

} // namespace
} // namespace eup
