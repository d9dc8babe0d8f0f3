// Whole wings against values that were computed by a second route: brute force in space and dense quadrature, with
// its own conventions and tolerances (tests/files/second_route_wings.json).
#include "core/described/decisions.h"
#include "core/files/json.h"
#include "core/geometry/polyline.h"
#include "core/joins/end_cut.h"
#include "core/strength/d_box.h"
#include "places.h"
#include "support.h"

namespace eup {
namespace {

using nlohmann::json;
using test::figureOf;
using test::wingOf;

const json& file() {
  static const json all = json::parse(test::slurp(test::testFile("second_route_wings.json")));
  return all;
}

/// The design of a case. `rear` adds the rear support line as a spar of its own, for heights only.
Design designOf(const json& input, bool rear) {
  Design d = test::bareDesign();
  const json& p = input["panels"][0];
  d.inner().panel = test::panelOf(p["span"], p["chord_in"], p["chord_out"], p["sweep_le"], p["washout_out"], p["axis"]);
  d.inner().sections.root = nacaSection(p["section_in"]);
  d.inner().sections.tip = nacaSection(p["section_out"]);
  d.inner().ribs.rule = RibRule::stations;
  d.inner().ribs.stations = p["rib_stations"].get<std::vector<double>>();
  d.inner().ribs.notchFit = 0;
  d.inner().join.dihedral = {DihedralBy::angle, p["dihedral"]};
  d.inner().join.braces = {Bracing{}};
  const json& s = input["front_spar"];
  Spar spar;
  spar.rootFraction = spar.tipFraction = s["fraction"];
  spar.top.width = s["upper"]["width"], spar.top.depth = s["upper"]["depth"];
  spar.top.material = s["upper"]["E"].get<double>() > 5000 ? "spruce" : "balsa-160";
  spar.bottom = spar.top;
  d.inner().spars.push_back(spar);
  if (rear) {
    spar.rootFraction = spar.tipFraction = input["rear_spar_fraction"];
    d.inner().spars.push_back(spar);
  }
  d.inner().trailingEdge.kind = TrailingEdgeKind::wedge;
  d.inner().trailingEdge.width = input["te_stock"];
  d.inner().trailingEdge.widthIs = WidthIs::alongFlight; // as the second route takes it
  d.inner().trailingEdge.sheet = 1.5;
  d.flying.mass = input["mass"];
  d.flying.loadFactor = input["load_factor"];
  return d;
}

class SecondRoute : public testing::TestWithParam<int> {
protected:
  const json& input() const { return file()["cases"][static_cast<std::size_t>(GetParam())]["input"]; }
  const json& output() const { return file()["cases"][static_cast<std::size_t>(GetParam())]["output"]; }
  double tolerance(const char* key) const { return file()["tolerances"][key]; }
};

TEST_P(SecondRoute, StationsAndRibs) {
  const TrueWing w = wingOf(designOf(input(), true));
  const double f = input()["front_spar"]["fraction"];
  for (std::size_t i = 0; i < w.inner().frame.ribs.size(); ++i) {
    const json& want = output()["stations"][i];
    const Rib& r = w.inner().frame.ribs[i];
    SCOPED_TRACE(r.name());
    EXPECT_NEAR(r.frame.chord, want["chord"].get<double>(), tolerance("chord_mm"));
    EXPECT_NEAR(radToDeg(r.frame.washout), want["twist"].get<double>(), tolerance("angle_deg"));
    for (const auto& [key, at] : {std::pair("le", r.frame.le), std::pair("te", r.frame.te)}) {
      EXPECT_NEAR(at.x(), want[key][0].get<double>(), tolerance("length_mm"));
      EXPECT_NEAR(at.y(), want[key][2].get<double>(), tolerance("length_mm"));
    }
    EXPECT_NEAR(r.bareArea, want["area"].get<double>(), 0.001 * r.bareArea);
    for (const auto& [key, face] : {std::pair("arc_upper", Face::upper), std::pair("arc_lower", Face::lower)})
      EXPECT_NEAR(arcTo(w.inner().shape.loft, face, f, r.t()), want[key].get<double>(),
                  0.05 + 0.001 * want[key].get<double>());
    EXPECT_NEAR(r.sparDepth[0], want["depth_spar"].get<double>(), tolerance("length_mm"));
    EXPECT_NEAR(r.notches[0].depth, want["notch_top"].get<double>(), tolerance("notch_mm"));
    EXPECT_NEAR(r.notches[1].depth, want["notch_bottom"].get<double>(), tolerance("notch_mm"));
    const RibSupports& supports = w.inner().settingUp.ribs[i];
    const auto& under = supports.at;
    EXPECT_NEAR(supports.nose, want["under"]["LE"][0].get<double>(), tolerance("under_mm")); // its nose point's
    const char* lines[] = {"", "FS", "RS", "TEF", "TE"};
    ASSERT_EQ(under.size(), 5u);
    for (std::size_t k = 1; k < 5; ++k) {
      EXPECT_NEAR(under[k].height, want["under"][lines[k]][0].get<double>(), tolerance("under_mm")) << lines[k];
      if (!want["under"][lines[k]][1].is_null()) {
        EXPECT_NEAR(radToDeg(under[k].slope), want["under"][lines[k]][1].get<double>(), tolerance("slope_deg"))
            << lines[k];
      }
    }
  }
}

TEST_P(SecondRoute, CapStripRuns) {
  Design d = designOf(input(), false);
  d.inner().sheeting.top = d.inner().sheeting.bottom = true;
  d.inner().sheeting.thickness = 1.5;
  d.inner().sheeting.fraction = input()["sheet"]["to"];
  const TrueWing w = wingOf(d);
  for (std::size_t i = 0; i < w.inner().frame.ribs.size(); ++i) {
    const json& want = output()["stations"][i];
    EXPECT_NEAR(w.inner().frame.ribs[i].upperRun.capArc, want["cap_upper"].get<double>(),
                0.05 + 0.001 * want["cap_upper"].get<double>());
    EXPECT_NEAR(w.inner().frame.ribs[i].lowerRun.capArc, want["cap_lower"].get<double>(),
                0.05 + 0.001 * want["cap_lower"].get<double>());
  }
}

TEST_P(SecondRoute, PlanAndJoin) {
  const TrueWing w = wingOf(designOf(input(), false));
  const json& plan = output()["planform"];
  EXPECT_NEAR(w.main().planform.area, plan["area_true"].get<double>(), 0.001 * w.main().planform.area);
  EXPECT_NEAR(w.main().planform.meanChord, plan["mac"].get<double>(), 0.005);
  EXPECT_NEAR(w.main().planform.meanChordAt, plan["y_mac"].get<double>(), 0.02);
  EXPECT_NEAR(w.main().planform.meanChordLe, plan["x_le_mac"].get<double>(), 0.02);
  EXPECT_NEAR(w.main().planform.aspect, plan["aspect_true"].get<double>(), 0.001);
  EXPECT_NEAR(2 * w.inner().join.fromAbove, plan["span_projected"].get<double>(), 0.02);
  EXPECT_NEAR(w.inner().join.rise, output()["rises"][0].get<double>(), 0.02);
  EXPECT_NEAR(radToDeg(w.inner().frame.spars[0].sweep), output()["spar_sweep"][0].get<double>(),
              tolerance("angle_deg"));
  EXPECT_NEAR(radToDeg(w.inner().join.braces.at(0).bend), output()["braces"][0]["bend"].get<double>(),
              tolerance("angle_deg"));
  EXPECT_NEAR(radToDeg(w.inner().join.braces.at(0).lean), output()["braces"][0]["lean"].get<double>(),
              tolerance("angle_deg"));
  EXPECT_NEAR(radToDeg(w.inner().join.braces.at(0).capTopBend), output()["cap_line_bends"][0]["upper"].get<double>(),
              tolerance("angle_deg"));
  EXPECT_NEAR(radToDeg(w.inner().join.braces.at(0).capBottomBend), output()["cap_line_bends"][0]["lower"].get<double>(),
              tolerance("angle_deg"));
  const json& blocks = output()["blocks"];
  double rootLow = 0;
  for (const Point& p : w.inner().shape.loft.cutAt(0).lower)
    rootLow = std::min(rootLow, p.y() * std::cos(w.inner().join.gamma));
  for (std::size_t i = 0; i < blocks["fractions"].size(); ++i) {
    const TipBlock b = tipBlock(w.inner().shape.loft, blocks["fractions"][i], w.inner().join.gamma, {});
    // The second route gives heights over the root's leading edge; the block's are over the board.
    // At the trailing edge they are of the chord line's end, the block's of the underside: half a tail lower.
    const bool tail = blocks["fractions"][i] == 1;
    const double tipTail = tail ? (w.inner().shape.loft.frameAt(w.inner().shape.loft.span()).te.y() -
                                   w.inner().shape.loft.cutAt(w.inner().shape.loft.span()).lower.back().y()) *
                                      std::cos(w.inner().join.gamma)
                                : 0;
    const double rootTail =
        tail ? (0 - w.inner().shape.loft.cutAt(0).lower.back().y()) * std::cos(w.inner().join.gamma) : 0;
    EXPECT_NEAR(b.height + rootLow + tipTail, blocks["tips"][0]["z"][i].get<double>(), 0.02);
    EXPECT_NEAR(b.overRoot + tipTail - rootTail, blocks["tips"][0]["over_root"][i].get<double>(), 0.02);
  }
}

/// Ends of the front spar where the halves meet: mitre on the face, bevel on the side.
TEST_P(SecondRoute, JointCuts) {
  const TrueWing w = wingOf(designOf(input(), false));
  const double sweep = w.inner().frame.spars[0].sweep, fold = w.inner().join.fold;
  const Point3 along(std::sin(sweep), std::cos(sweep), 0), up(0, 0, 1);
  for (const bool outer : {true, false}) {
    const json& want = output()["joint_cuts"][0][outer ? "outboard" : "inboard"];
    // The part inside the centre join is the mirror image, whose sweep runs the other way.
    const EndCut cut = endCut(outer ? along : Point3(-along.x(), along.y(), 0), up, joinPlane(fold, outer));
    EXPECT_NEAR(radToDeg(cut.mitre), want["mitre"].get<double>(), tolerance("angle_deg"));
    EXPECT_NEAR(radToDeg(cut.bevel), want["bevel"].get<double>(), tolerance("angle_deg"));
    EXPECT_NEAR(std::abs(cut.tilt), fold, 1e-9);
  }
}

TEST_P(SecondRoute, LoadsAndStress) {
  Design d = designOf(input(), false);
  const json& loads = output()["loads"];
  const double sheet = input()["sheet"]["thickness"];
  if (sheet > 0) { // "spar outer depth = section depth − 2 sheet", under the sheet's edge
    d.inner().sheeting.top = d.inner().sheeting.bottom = true;
    d.inner().sheeting.thickness = sheet;
    d.inner().sheeting.fraction = input()["sheet"]["to"].get<double>();
  }
  for (const auto& [name, shape] : {std::pair("schrenk", LoadShape::schrenk), std::pair("ellipse", LoadShape::ellipse),
                                    std::pair("chord", LoadShape::chord)}) {
    d.flying.shape = shape;
    EXPECT_NEAR(figureOf(wingOf(d), "load.rootMoment"), loads[name]["root_moment"].get<double>(),
                0.0005 * loads[name]["root_moment"].get<double>());
  }
  d.flying.shape = LoadShape::schrenk;
  const TrueWing w = wingOf(d);
  const auto near = [&](double got, const char* key) {
    EXPECT_NEAR(got, loads["root_spar"][key].get<double>(), 0.005 * loads["root_spar"][key].get<double>()) << key;
  };
  EXPECT_NEAR(w.inner().strength.bending.load.lift, loads["half_lift"].get<double>(),
              0.0005 * w.inner().strength.bending.load.lift);
  near(w.inner().strength.bending.spars[0].root.depth(), "outer_depth");
  near(w.inner().strength.bending.spars[0].root.bent.stiffness, "EI");
  near(w.inner().strength.bending.spars[0].upper->stress, "upper");
  near(w.inner().strength.bending.spars[0].lower->stress, "lower");
  near(w.inner().strength.bending.tipDeflection, "tip_deflection");
  EXPECT_NEAR(w.inner().strength.bending.load.lift / w.inner().strength.bending.spars[0].webDepth,
              loads["root_spar"]["web_flow_V_over_h"].get<double>(), 0.005);
  if (loads.contains("d_box_root")) {
    const json& box = loads["d_box_root"];
    const Rib& root = w.inner().frame.ribs.front();
    const Polyline cell =
        noseBox(root.upper, root.lower, d.inner().spars[0].rootFraction * root.frame.chord, box["skin"]);
    EXPECT_NEAR(signedArea(cell), box["cell_area"].get<double>(), 0.005 * signedArea(cell));
    EXPECT_NEAR(torsionConstant(cell, box["skin"]), box["J"].get<double>(), 0.01 * box["J"].get<double>());
    EXPECT_NEAR(figureOf(w, "box.torsion"), box["J"].get<double>(), 0.01 * box["J"].get<double>());
  }
}

TEST_P(SecondRoute, StraightSparLeavesTheSurface) {
  Design d = designOf(input(), false);
  d.inner().spars[0].rootFraction = 0.35, d.inner().spars[0].tipFraction = 0.25;
  const double want = output()["straight_spar_35_to_25"]["worst"];
  EXPECT_NEAR(wingOf(d).inner().frame.spars[0].worstGap, want, tolerance("length_mm"));
}

INSTANTIATE_TEST_SUITE_P(Wings, SecondRoute, testing::Values(0, 1, 2));

} // namespace
} // namespace eup
