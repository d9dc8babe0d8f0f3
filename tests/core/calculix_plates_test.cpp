// Panels that bear as one plate, of sheet and of skins on foam, against models of finite elements, solved by CalculiX
// (package calculix-ccx).
#include "calculix.h"
#include "support.h"
#include <fmt/format.h>
#include <set>

namespace eup {
namespace {

using test::Moves;
using test::solved;
using test::wingOf;

/// A plate of wood 300 long, 80 wide and 4 thick as shells, its grain along the span, clamped at its root.
struct ShellPlate {
  static constexpr int across = 8, along = 24;
  static constexpr double span = 300, chord = 80, thick = 4;
  static int nodeAt(int i, int k) { return 1 + i * (2 * along + 1) + k; } // halves of elements
  std::string model;

  ShellPlate() {
    model = "*NODE, NSET=ALL\n";
    for (int i = 0; i <= 2 * across; ++i)
      for (int k = 0; k <= 2 * along; ++k)
        if (i % 2 == 0 || k % 2 == 0)
          model += fmt::format("{},{},{},0\n", nodeAt(i, k), chord * i / (2 * across), span * k / (2 * along));
    model += "*ELEMENT, TYPE=S8R, ELSET=PLATE\n";
    for (int i = 0; i < across; ++i)
      for (int k = 0; k < along; ++k) {
        const int a = 2 * i, b = 2 * k;
        model += fmt::format("{},{},{},{},{},{},{},{},{}\n", 1 + i * along + k, nodeAt(a, b), nodeAt(a + 2, b),
                             nodeAt(a + 2, b + 2), nodeAt(a, b + 2), nodeAt(a + 1, b), nodeAt(a + 2, b + 1),
                             nodeAt(a + 1, b + 2), nodeAt(a, b + 1));
      }
    const Material wood = Tables{}.named("balsa-160");
    model += fmt::format(
        "*MATERIAL, NAME=WOOD\n*ELASTIC, TYPE=ENGINEERING CONSTANTS\n{0},{1},{0},0.01,0.01,0.01,{2},{2}\n{2}\n"
        "*SHELL SECTION, ELSET=PLATE, MATERIAL=WOOD\n{3}\n*BOUNDARY\n",
        wood.across, wood.modulus, wood.shear, thick);
    for (int i = 0; i <= 2 * across; ++i) model += fmt::format("{},1,6\n", nodeAt(i, 0));
  }
};

/// The same as a panel of sheet, its nose square but for a hundredth of its chord.
Design plateOfSheet() {
  Design d = test::bareDesign();
  PanelDesign& p = d.inner();
  p.built = Built::sheet;
  p.panel = test::panelOf(ShellPlate::span, ShellPlate::chord, ShellPlate::chord);
  for (SectionChoice* section : {&p.sections.root, &p.sections.tip}) {
    section->kind = SectionKind::flatPlate;
    section->drawn.tailTaper = 0, section->drawn.nose = PlateNose::wedge, section->drawn.wedge = 0.01;
  }
  p.sheet.thickness = ShellPlate::thick;
  p.join.dihedral = {DihedralBy::angle, 0};
  d.flying.mass = 60, d.flying.kind = typedFactors, d.flying.loadFactor = 5, d.flying.pushFactor = 0;
  d.flying.shape = LoadShape::chord, d.flying.relief = false, d.flying.twistCouple = 100;
  return d;
}

TEST(CalculiXPlates, PanelOfSheetBends) {
  const TrueWing w = wingOf(plateOfSheet());
  const double pressure = w.main().loads.front().load.lift / (ShellPlate::span * ShellPlate::chord);
  const int tip = ShellPlate::nodeAt(ShellPlate::across, 2 * ShellPlate::along);
  const Moves moved = solved(ShellPlate().model, fmt::format("{},3,0.\n*DLOAD\nPLATE,P,{}\n", tip, -pressure),
                             fmt::format("{}\n", tip));
  EXPECT_NEAR(w.main().tipDeflection, std::abs(moved.at(tip).z()), 0.05 * w.main().tipDeflection);
}

// By a couple at the tip's corners; told over the outer third, where the clamped root is no longer felt.
TEST(CalculiXPlates, PanelOfSheetTwists) {
  const TrueWing w = wingOf(plateOfSheet());
  constexpr int tip = 2 * ShellPlate::along, third = tip * 2 / 3, nose = 0, tail = 2 * ShellPlate::across;
  const double force = 100 / ShellPlate::chord;
  std::string asked;
  for (const int k : {third, tip})
    for (const int i : {nose, tail}) asked += fmt::format("{}\n", ShellPlate::nodeAt(i, k));
  const Moves moved = solved(
      ShellPlate().model,
      fmt::format("{},3,{}\n{},3,{}\n", ShellPlate::nodeAt(nose, tip), force, ShellPlate::nodeAt(tail, tip), -force),
      asked);
  const auto turned = [&](int k) {
    return (moved.at(ShellPlate::nodeAt(nose, k)).z() - moved.at(ShellPlate::nodeAt(tail, k)).z()) / ShellPlate::chord;
  };
  const double theirs = 3 * (turned(tip) - turned(third)), ours = w.inner().strength.twist->twist;
  EXPECT_NEAR(ours, theirs, 0.05 * theirs);
}

/// A foam panel of one depth with skins of wood, as a plane strip 100 wide: bending and the core's own give.
TEST(CalculiXPlates, SandwichSags) {
  constexpr double span = 500, width = 100, deep = 15, skin = 1;
  Design d = test::bareDesign();
  PanelDesign& p = d.inner();
  p.built = Built::foam;
  p.panel = test::panelOf(span, width, width);
  for (SectionChoice* section : {&p.sections.root, &p.sections.tip}) {
    section->kind = SectionKind::flatPlate;
    section->drawn.plate = deep / width, section->drawn.tailTaper = 0;
    section->drawn.nose = PlateNose::wedge, section->drawn.wedge = 0.01;
  }
  p.sheeting.top = p.sheeting.bottom = true, p.sheeting.thickness = skin;
  p.leadingEdge.kind = LeadingEdgeKind::none, p.trailingEdge.kind = TrailingEdgeKind::none;
  p.spars.clear();
  p.join.dihedral = {DihedralBy::angle, 0};
  d.flying.mass = 300, d.flying.kind = typedFactors, d.flying.loadFactor = 8, d.flying.pushFactor = 0;
  d.flying.shape = LoadShape::chord, d.flying.relief = false;
  const TrueWing w = wingOf(d);

  constexpr int columns = 100;
  const std::vector<double> heights{0, skin, 5, 10, deep - skin, deep}; // rows of elements
  const auto rows = static_cast<int>(heights.size()) - 1;
  const auto node = [&](int i, int j) { return 1 + i * (2 * rows + 1) + j; };
  std::string model = "*NODE\n", root, sets[2];
  for (int i = 0; i <= 2 * columns; ++i)
    for (int j = 0; j <= 2 * rows; ++j) {
      if (i % 2 == 1 && j % 2 == 1) continue;
      const auto k = static_cast<std::size_t>(j / 2);
      const double z = j % 2 == 0 ? heights[k] : (heights[k] + heights[k + 1]) / 2;
      model += fmt::format("{},{},{},0\n", node(i, j), span * i / (2 * columns), z);
      if (i == 0) root += fmt::format("{},1,2\n", node(i, j));
    }
  for (int c = 0; c < columns; ++c)
    for (int r = 0; r < rows; ++r) {
      const int i = 2 * c, j = 2 * r;
      sets[r == 0 || r == rows - 1 ? 0 : 1] +=
          fmt::format("{},{},{},{},{},{},{},{},{}\n", 1 + c * rows + r, node(i, j), node(i + 2, j), node(i + 2, j + 2),
                      node(i, j + 2), node(i + 1, j), node(i + 2, j + 1), node(i + 1, j + 2), node(i, j + 1));
    }
  const Material &wood = Tables{}.named("balsa-160"), &foam = Tables{}.named("foam-xps-33");
  model += fmt::format("*ELEMENT, TYPE=CPS8, ELSET=SKIN\n{}*ELEMENT, TYPE=CPS8, ELSET=CORE\n{}", sets[0], sets[1]);
  model += fmt::format(
      "*MATERIAL, NAME=WOOD\n*ELASTIC, TYPE=ENGINEERING CONSTANTS\n{0},{1},{1},0.01,0.01,0.01,{2},{2}\n{2}\n"
      "*MATERIAL, NAME=FOAM\n*ELASTIC, TYPE=ENGINEERING CONSTANTS\n{3},{3},{3},0.01,0.01,0.01,{4},{4}\n{4}\n"
      "*SOLID SECTION, ELSET=SKIN, MATERIAL=WOOD\n{5}\n*SOLID SECTION, ELSET=CORE, MATERIAL=FOAM\n{5}\n"
      "*BOUNDARY\n{6}",
      wood.modulus, wood.across, wood.shear, foam.modulus, foam.shear, width, root);
  const double lift = w.main().loads.front().load.lift;
  std::string loads;
  for (int i = 1; i <= 2 * columns; ++i) { // Simpson's weights of quadratic edges
    const double weight = i % 2 == 1 ? 4.0 / 6 : i == 2 * columns ? 1.0 / 6 : 2.0 / 6;
    loads += fmt::format("{},2,{}\n", node(i, 2 * rows), lift / columns * weight);
  }
  const int tip = node(2 * columns, 0);
  const Moves moved = solved(model, loads, fmt::format("{}\n", tip));
  const double told = w.main().tipDeflection + w.inner().strength.core->shearSag;
  EXPECT_NEAR(moved.at(tip).y(), told, 0.04 * told);
  EXPECT_GT(w.inner().strength.core->shearSag, 0.03 * told) << "it is no trifle";
}

// A sheet spar with a slot half as deep as itself at every rib: plane stress, the slots cut out of the model.
TEST(CalculiX, SlottedSheetSpar) {
  Design d = test::bareDesign();
  PanelDesign& p = d.inner();
  p.panel = test::panelOf(600, 180, 180, 0, 0);
  p.ribs.count = 11;
  Spar s;
  s.kind = SparKind::fullDepth, s.sheet = 3;
  p.spars = {s};
  const TrueWing w = wingOf(d);
  const SparLine& line = w.inner().frame.spars[0];
  const double low = line.lowerSeat.at(0).y(), deep = line.upperSeat.at(0).y() - low;
  const bool fromAbove = s.ribSlot == SlotFrom::below; // the rib's slot is from the other side
  std::vector<double> edges{0};
  for (const Rib& rib : w.inner().frame.ribs) { // elements grow away from every slot
    const auto [in, out] = rib.body();
    const double half = p.ribs.notchFit / 2, a = std::max(rib.t() + in - half, 0.0),
                 b = std::min(rib.t() + out + half, 600.0);
    for (const double off : {-29.0, -19.0, -12.0, -7.0, -4.0, -2.0, -0.8, 0.0})
      if (a + off > edges.back() + 0.05) edges.push_back(a + off);
    for (const double off : {0.0, 0.8, 2.0, 4.0, 7.0, 12.0, 19.0, 29.0})
      if (b + off > edges.back() + 0.05 && b + off < 600.05) edges.push_back(std::min(b + off, 600.0));
  }
  constexpr int rows = 12;
  const int columns = static_cast<int>(edges.size()) - 1;
  const auto node = [&](int i, int j) { return 1 + i * (2 * rows + 1) + j; };
  const auto along = [&](int i) {
    const auto k = static_cast<std::size_t>(i / 2);
    return i % 2 == 0 ? edges[k] : (edges[k] + edges[k + 1]) / 2;
  };
  const auto isSlot = [&](int c, int r) {
    if ((r >= rows / 2) != fromAbove) return false;
    const double x = (edges[static_cast<std::size_t>(c)] + edges[static_cast<std::size_t>(c) + 1]) / 2;
    return std::ranges::any_of(w.inner().frame.ribs, [&](const Rib& rib) {
      const auto [in, out] = rib.body();
      const double half = p.ribs.notchFit / 2;
      return x > rib.t() + in - half && x < rib.t() + out + half;
    });
  };
  std::string elements, nodes, root;
  std::set<int> used;
  for (int c = 0; c < columns; ++c)
    for (int r = 0; r < rows; ++r) {
      if (isSlot(c, r)) continue;
      const int i = 2 * c, j = 2 * r;
      const std::array n{node(i, j),     node(i + 2, j),     node(i + 2, j + 2), node(i, j + 2),
                         node(i + 1, j), node(i + 2, j + 1), node(i + 1, j + 2), node(i, j + 1)};
      used.insert(n.begin(), n.end());
      elements += fmt::format("{},{}\n", 1 + c * rows + r, fmt::join(n, ","));
    }
  for (int i = 0; i <= 2 * columns; ++i)
    for (int j = 0; j <= 2 * rows; ++j)
      if (used.contains(node(i, j))) {
        nodes += fmt::format("{},{:.6f},{:.6f},0\n", node(i, j), along(i), low + deep * j / (2 * rows));
        if (i == 0) root += fmt::format("{},1,3\n", node(i, j));
      }
  const SpanLoad& load = w.inner().strength.bending.load;
  std::map<int, double> forces;
  const int row = fromAbove ? 0 : 2 * rows; // along the edge that is not slotted
  for (int c = 0; c < columns; ++c)
    for (const auto& [half, weight] : {std::pair(0, 1.0), std::pair(1, 4.0), std::pair(2, 1.0)}) {
      const double wide = edges[static_cast<std::size_t>(c) + 1] - edges[static_cast<std::size_t>(c)];
      forces[node(2 * c + half, row)] += load.perLength(along(2 * c + half)) * wide * weight / 6;
    }
  std::string loads;
  for (const auto& [at, force] : forces) loads += fmt::format("{},2,{:.9f}\n", at, force);
  const double modulus = w.inner().design.tables.named(s.sheetMaterial).modulus;
  const int end = node(2 * columns, row);
  const std::string model =
      fmt::format("*NODE, NSET=ALL\n{}*ELEMENT, TYPE=CPS8, ELSET=WOOD\n{}*MATERIAL, NAME=SHEET\n*ELASTIC\n{},0.3\n"
                  "*SOLID SECTION, ELSET=WOOD, MATERIAL=SHEET\n{}\n*BOUNDARY\n{}",
                  nodes, elements, modulus, s.sheet, root);
  const double tip = solved(model, loads, fmt::format("{}\n", end)).at(end).y();
  EXPECT_NEAR(w.inner().strength.bending.tipDeflection, tip, 0.06 * tip);
  // Far from as limp as if it were slotted from end to end, and not as stiff as the whole sheet.
  const double whole = slottedShare(line, 300, deep);
  EXPECT_NEAR(whole, (2.1 + 0.48 * deep) / 60, 1e-9);
}

} // namespace
} // namespace eup
