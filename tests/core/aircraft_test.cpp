// Several wings of one aircraft: tailplane, second wing, foreplane, fin.
#include "core/described/decisions.h"
#include "core/described/design_file.h"
#include "core/design/panel_brief.h"
#include "core/drawing/paging.h"
#include "core/edit/panel_edit.h"
#include "core/edit/wing_edit.h"
#include "core/geometry/polyline.h"
#include "core/takeaway/take_away.h"
#include "support.h"
#include <set>

namespace eup {
namespace {

using test::figureOf;
using test::wingOf;

Design withAll() {
  Design d;
  for (const WingKind kind : {WingKind::second, WingKind::tailplane, WingKind::canard, WingKind::fin})
    d = withWingAdded(d, kind).value();
  return d;
}

TEST(Aircraft, HoldsWingsOfEveryKind) {
  const Design d = withAll();
  const TrueWing w = wingOf(d);
  ASSERT_EQ(w.wings.size(), 5u);
  EXPECT_FALSE(w.wings[4].mirrored);
  EXPECT_FALSE(withWingAdded(d, WingKind::fin).ok()) << "five are enough";
  const Design back = designFromText(designToText(d)).value().design;
  EXPECT_EQ(back, d);
  EXPECT_EQ(withWingTakenOut(d, 1).value().wings.size(), 4u);
  EXPECT_EQ(withWingTakenOut(d, 1).value().wings[1].kind, WingKind::tailplane);
  EXPECT_FALSE(withWingTakenOut(d, 0).ok()) << "the main wing stays";
  EXPECT_FALSE(withWingTakenOut(d, 5).ok());
}

TEST(Aircraft, FiguresOfEachWingHaveKeysOfTheirOwn) {
  const TrueWing w = wingOf(withAll());
  std::set<std::string> keys, decided;
  for (const Decision& decision : decisionsOf(w.design)) decided.insert(decision.path);
  for (const Figure& f : figuresOf(w)) {
    EXPECT_TRUE(keys.insert(f.key).second) << f.key << " twice";
    for (const std::string& path : f.decisions)
      EXPECT_TRUE(decided.contains(path)) << f.key << " follows from " << path;
  }
  EXPECT_TRUE(keys.contains("panel.area"));
  EXPECT_TRUE(keys.contains("wing3.panel.area"));
  EXPECT_TRUE(keys.contains("wing3.rib.1.chord"));
  EXPECT_FALSE(keys.contains("wing5.join.block")) << "a fin is joined to nothing";
  EXPECT_FALSE(keys.contains("wing5.panel.spanFromAbove"));
}

TEST(Aircraft, AFinIsOneSide) {
  const Design d = withWingAdded(Design{}, WingKind::fin).value();
  const TrueWing w = wingOf(d);
  const Panel& p = d.wings[1].panels[0].panel;
  EXPECT_NEAR(figureOf(w, "wing2.panel.span"), p.span, 1e-9);
  EXPECT_NEAR(figureOf(w, "wing2.panel.area"), p.span * (p.rootChord + p.tipChord) / 2, 1e-6);
  EXPECT_NEAR(figureOf(w, "wing2.panel.aspect"), p.span / ((p.rootChord + p.tipChord) / 2), 1e-9);
  EXPECT_TRUE(w.wings[1].panels[0].join.braces.empty());
  EXPECT_EQ(w.wings[1].panels[0].design.gamma, 0);
}

/// The wings' loads are their shares of n m g: a mirrored one carries half of its share on each side, a fin all.
TEST(Aircraft, EachCarriesItsShare) {
  Design d = withAll();
  const double whole = d.flying.loadFactor * d.flying.mass / 1000 * 9.80665; // standard gravity, exact
  const TrueWing w = wingOf(d);
  for (std::size_t i = 0; i < w.wings.size(); ++i) {
    const SpanLoad& load = w.wings[i].panels.front().strength.bending.load;
    EXPECT_NEAR(load.lift * (w.wings[i].mirrored ? 2 : 1), d.wings[i].carries * whole, 1e-9 * whole);
    EXPECT_NEAR(load.shear(0), load.lift, 1e-9 * whole);
  }
}

/// Two plain rectangles: quarter chords by hand, 40 × 500 over 200 × 1000 mm.
TEST(Aircraft, VolumeOfATailIsItsAreaTimesItsArm) {
  Design d = withWingAdded(Design{}, WingKind::tailplane).value();
  d.inner().panel = test::panelOf(500, 200, 200);
  d.wings[1].panels[0].panel = test::panelOf(200, 100, 100);
  d.wings[1].aft = 600;
  const TrueWing w = wingOf(d);
  EXPECT_NEAR(figureOf(w, "wing2.wing.arm"), 600 + 25 - 50, 1e-6);
  EXPECT_NEAR(figureOf(w, "wing2.wing.volume"), (400.0 * 100) * 575 / ((1000.0 * 200) * 200), 1e-9);
  d.wings[1].kind = WingKind::fin;
  EXPECT_NEAR(figureOf(wingOf(d), "wing2.wing.volume"), (200.0 * 100) * 575 / ((1000.0 * 200) * 1000), 1e-9);
}

/// The template stands under the rib: its upper edge is as high as the packing says, over a foot of 15 mm.
TEST(Gauges, TemplatesAreAsHighAsThePacking) {
  const TrueWing w = wingOf(Design{});
  const DrawnWing drawing = test::drawn(w);
  const Drawing right = stacked(gauges(drawing.front(), Hand::right), 5),
                left = stacked(gauges(drawing.front(), Hand::left), 5);
  EXPECT_EQ(right.strokes.size(), left.strokes.size());
  int templates = 0;
  bool over = false;
  for (const Stroke& s : right.strokes) {
    if (s.layer != Layer::cut || templates == 3) continue; // the stairs and the cradle come after them
    if (over) {                                            // each is followed by the one that is laid over the rib
      over = false;
      continue;
    }
    over = true;
    const Box box = boundsOf(s.points);
    const Rib& rib = w.inner().frame.ribs[templates == 0   ? 0
                                          : templates == 1 ? w.inner().frame.ribs.size() / 2
                                                           : w.inner().frame.ribs.size() - 1];
    const RibSupports& under = w.inner().settingUp.ribs[static_cast<std::size_t>(rib.number - 1)];
    EXPECT_NEAR(box.width(), rib.frame.chord * std::cos(rib.frame.washout), 0.3) << rib.name();
    double tail = 0; // the height at its rear end
    for (const Point& p : s.points)
      if (p.x() > box.high.x() - 0.01) tail = std::max(tail, p.y() - box.low.y());
    EXPECT_NEAR(tail, under.at.back().height + 15, 0.05) << rib.name();
    ++templates;
  }
  EXPECT_EQ(templates, 3);
  for (const auto* sheet : {&right, &left}) {
    bool hand = false;
    for (const Label& l : sheet->labels)
      hand = hand || l.text.find(sheet == &right ? "RIGHT" : "LEFT") != std::string::npos;
    EXPECT_TRUE(hand) << "no sheet without its hand";
  }
}

/// Panels that change places twice are back, but for roots that are now their own.
TEST(Panels, ChangePlacesAndAreCopied) {
  const Design d = demoDesign("tarnbrook-2000");
  const Design once = withPanelMovedOut(d, {0, 0}).value();
  EXPECT_DOUBLE_EQ(once.at({0, 0}).panel.span, d.at({0, 1}).panel.span);
  EXPECT_DOUBLE_EQ(once.at({0, 0}).panel.rootChord, d.at({0, 0}).panel.tipChord) << "the root that it had";
  const Design twice = withPanelMovedOut(once, {0, 0}).value();
  const TrueWing was = wingOf(d), is = wingOf(twice);
  EXPECT_NEAR(is.main().planform.area, was.main().planform.area, 1e-6);
  EXPECT_EQ(is.main().stationCount(), was.main().stationCount());
  EXPECT_FALSE(withPanelMovedOut(d, {0, 2}).ok());
  const Design tail = withWingAdded(d, WingKind::tailplane).value();
  const Design copied = withPanelCopied(tail, {0, 1}, 1).value();
  ASSERT_EQ(copied.wings[1].panels.size(), 2u);
  EXPECT_DOUBLE_EQ(copied.at({1, 1}).panel.rootChord, 202);
  EXPECT_FALSE(copied.at({1, 1}).panel.continues);
  EXPECT_EQ(wingOf(copied).wings[1].panels.size(), 2u);
}

TEST(Aircraft, IsWrittenWingByWing) {
  Design d = withWingAdded(withWingAdded(Design{}, WingKind::tailplane).value(), WingKind::fin).value();
  d.name = "Pair";
  const TrueWing w = wingOf(d);
  test::ScratchFolder folder;
  ExportOrder order;
  order.formats = {ExportFormat::svg};
  const auto written = exportWing(w, folder.path, order);
  ASSERT_TRUE(written.ok());
  EXPECT_EQ(written.value().size(), 9u * (2 + 2 + 1) + 1 + 2)
      << "a fin has one hand, the centre brace is both hands', and the main wing alone is sheeted";
  EXPECT_TRUE(std::filesystem::exists(folder.path / "pair-plan-left.svg"));
  EXPECT_TRUE(std::filesystem::exists(folder.path / "pair-tailplane-ribs-left.svg"));
  EXPECT_TRUE(std::filesystem::exists(folder.path / "pair-fin-plan-right.svg"));
  EXPECT_FALSE(std::filesystem::exists(folder.path / "pair-fin-plan-left.svg"));
  EXPECT_NE(test::slurp(folder.path / "pair-tailplane-plan-left.svg").find("Tailplane"), std::string::npos);
  d.wings[2].name = "Tailplane"; // two of one name do not write over each other
  const auto twice = exportWing(wingOf(d), folder.path, order);
  ASSERT_TRUE(twice.ok());
  EXPECT_EQ(std::set(twice.value().begin(), twice.value().end()).size(), twice.value().size());
  // The table of stations tells them apart.
  const Table table = stationTable(w);
  const auto column = std::find(table.columns.begin(), table.columns.end(), "wing") - table.columns.begin();
  std::map<std::string, int> ribs;
  for (const auto& row : table.rows) ++ribs[row[static_cast<std::size_t>(column)]];
  for (std::size_t i = 0; i < w.wings.size(); ++i) EXPECT_EQ(ribs[std::to_string(i + 1)], w.wings[i].stationCount());
}

TEST(Aircraft, FindingsSayWhichWing) {
  Design d = withWingAdded(Design{}, WingKind::tailplane).value();
  d.wings[1].panels[0].spars.clear();
  d.wings[1].panels[0].leadingEdge.kind = LeadingEdgeKind::none; // nor an edge's strip that could carry
  d.wings[1].panels[0].trailingEdge.kind = TrailingEdgeKind::none;
  bool named = false;
  const TrueWing w = wingOf(d);
  for (const Finding& f : findingsOf(w))
    if (f.key == "spars.none") named = f.what.starts_with("Tailplane: ") && f.wing == 1;
  EXPECT_TRUE(named);
}

TEST(Aircraft, PathsNameTheirWing) {
  EXPECT_EQ(wingOfPath("wings.2.surface.name"), 2);
  EXPECT_EQ(wingOfPath("wings.1.panels.0.panel.span"), 1);
  for (const char* other : {"", "wings", "wings.", "wings.3", "flying.mass", "wings.x.surface"})
    EXPECT_EQ(wingOfPath(other), std::nullopt) << other;
}

/// A new wing, and each kind that is added to it, begins sound: in mm and in inches nothing is wrong with it.
TEST(Aircraft, NewWingsAreSound) {
  for (const LengthUnit unit : {LengthUnit::mm, LengthUnit::inch})
    for (const WingKind kind :
         {WingKind::main, WingKind::second, WingKind::tailplane, WingKind::canard, WingKind::fin}) {
      Design d = newWing();
      d.unit = unit;
      if (kind != WingKind::main) d = withWingAdded(d, kind).value();
      for (const Finding& f : findingsOf(wingOf(d)))
        EXPECT_EQ(f.severity, Severity::note) << static_cast<int>(kind) << " " << f.key << ": " << f.what;
    }
}

} // namespace
} // namespace eup
