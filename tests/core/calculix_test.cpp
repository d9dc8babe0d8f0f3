// The strength reckoning against models of finite elements, solved by CalculiX (package calculix-ccx).
#include "calculix.h"
#include "core/geometry/polyline.h"
#include "core/section/naca.h"
#include "core/strength/d_box.h"
#include "core/strength/space_frame.h"
#include "support.h"
#include <fmt/format.h>

namespace eup {
namespace {

using test::Moves;
using test::solved;
using test::wingOf;

/// A wing whose two caps close in towards the tip, of two materials, under Schrenk's lift.
Design taperedSpar() {
  Design d = test::bareDesign();
  Spar s;
  s.top.width = s.bottom.width = 8;
  s.top.depth = 4, s.bottom.depth = 2.5;
  s.bottom.material = "pine";
  d.inner().spars = {s};
  d.inner().panel.tipSetback = 20;
  d.inner().panel.washoutDeg = 0;
  return d;
}

// Plane stress: caps of their own width, between them a web that takes shear and no bending.
TEST(CalculiX, TaperedSparUnderSchrenksLift) {
  const TrueWing w = wingOf(taperedSpar());
  const SparLine& line = w.inner().frame.spars[0];
  const Spar& spar = w.inner().design.spars[0];
  const double span = w.inner().shape.loft.span();
  const SpanLoad& load = w.inner().strength.bending.load;
  constexpr int columns = 100, rows = 8; // elements: two in each cap, four in the web
  const auto node = [&](int i, int j) { return 1 + i * (2 * rows + 1) + j; }; // halves of elements along and up
  const auto height = [&](int j, double t) {
    const double low = line.lowerSeat.at(t).y(), high = line.upperSeat.at(t).y();
    const double web0 = low + spar.bottom.depth, web1 = high - spar.top.depth;
    if (j <= 4) return low + spar.bottom.depth * j / 4;
    if (j <= 12) return web0 + (web1 - web0) * (j - 4) / 8;
    return web1 + spar.top.depth * (j - 12) / 4;
  };
  std::string model = "*NODE, NSET=ALL\n", root;
  for (int i = 0; i <= 2 * columns; ++i)
    for (int j = 0; j <= 2 * rows; ++j) {
      if (i % 2 == 1 && j % 2 == 1) continue;
      const double t = span * i / (2 * columns);
      model += fmt::format("{},{},{},0\n", node(i, j), t, height(j, t));
      if (i == 0) root += fmt::format("{},1,3\n", node(i, j));
    }
  std::string set[3];
  for (int c = 0; c < columns; ++c)
    for (int r = 0; r < rows; ++r) {
      const int i = 2 * c, j = 2 * r;
      set[r < 2   ? 0
          : r < 6 ? 1
                  : 2] +=
          fmt::format("{},{},{},{},{},{},{},{},{}\n", 1 + c * rows + r, node(i, j), node(i + 2, j), node(i + 2, j + 2),
                      node(i, j + 2), node(i + 1, j), node(i + 2, j + 1), node(i + 1, j + 2), node(i, j + 1));
    }
  const char* names[] = {"LOW", "WEB", "HIGH"};
  for (int k = 0; k < 3; ++k) model += fmt::format("*ELEMENT, TYPE=CPS8, ELSET={}\n{}", names[k], set[k]);
  const SparSection at0 = sparSection(spar, line, 0, Tables{});
  model += fmt::format("*MATERIAL, NAME=LOWWOOD\n*ELASTIC\n{},0.0\n*MATERIAL, NAME=HIGHWOOD\n*ELASTIC\n{},0.0\n"
                       "*MATERIAL, NAME=SHEAR\n*ELASTIC, TYPE=ENGINEERING CONSTANTS\n1.,1e5,1.,0,0,0,1e5,1.,\n1.\n",
                       at0.lowerModulus, at0.upperModulus);
  model +=
      fmt::format("*SOLID SECTION, ELSET=LOW, MATERIAL=LOWWOOD\n{0}\n*SOLID SECTION, ELSET=WEB, MATERIAL=SHEAR\n2.\n"
                  "*SOLID SECTION, ELSET=HIGH, MATERIAL=HIGHWOOD\n{0}\n*BOUNDARY\n{1}",
                  spar.top.width, root);
  std::string loads;
  for (int i = 1; i <= 2 * columns; ++i) { // Simpson's weights of quadratic edges
    const double t = span * i / (2 * columns), width = span / columns;
    const double weight = i % 2 == 1 ? 4.0 / 6 : i == 2 * columns ? 1.0 / 6 : 2.0 / 6;
    loads += fmt::format("{},2,{}\n", node(i, rows), load.perLength(t) * width * weight);
  }
  const int at = 2 * columns / 4; // a quarter of the span out, away from the clamp
  std::string asked = fmt::format("{}\n", node(2 * columns, rows));
  for (const int j : {0, 2 * rows})
    for (const int i : {at - 2, at + 2}) asked += fmt::format("{}\n", node(i, j));
  const Moves moved = solved(model, loads, asked);
  EXPECT_NEAR(moved.at(node(2 * columns, rows)).y(), w.main().tipDeflection, 0.03 * w.main().tipDeflection);
  for (const bool up : {true, false}) {
    const int j = up ? 2 * rows : 0;
    const double t0 = span * (at - 2) / (2 * columns), t1 = span * (at + 2) / (2 * columns), t = (t0 + t1) / 2;
    const SparSection s = sparSection(spar, line, t, Tables{});
    const double modulus = up ? s.upperModulus : s.lowerModulus;
    // Stress from the strain of the outer face, along that face.
    const Point run(t1 - t0, height(j, t1) - height(j, t0));
    const Point3 by = moved.at(node(at + 2, j)) - moved.at(node(at - 2, j));
    const double stress = modulus * (by.x() * run.x() + by.y() * run.y()) / run.squaredNorm();
    const double reckoned = s.bent.stress(load.moment(t), up ? s.upperOuter : s.lowerOuter, modulus);
    EXPECT_NEAR(std::abs(stress), reckoned, 0.03 * reckoned) << up;
    EXPECT_EQ(stress < 0, up) << "pressed above, pulled below";
  }
}

// Shells round the nose box of a 2412, twisted by an even flow at one end; the ends may warp.
TEST(CalculiX, TorsionOfANoseBox) {
  const Section section = makeNaca(readNaca("2412").value());
  constexpr double chord = 220, thick = 1.5, length = 300, modulus = 3000, ratio = 0.3;
  Polyline upper = section.upper, lower = section.lower;
  for (Polyline* face : {&upper, &lower})
    for (Point& p : *face) p *= chord;
  const Polyline box = noseBox(upper, lower, 0.3 * chord, thick);
  ASSERT_GE(box.size(), 3u);
  // Round it in even steps.
  constexpr int round = 96, along = 24;
  Polyline closed = box;
  closed.push_back(box.front());
  const double around = lengthOf(closed);
  Polyline ring;
  std::size_t edge = 0;
  double done = 0;
  for (int k = 0; k < round; ++k) {
    const double want = around * k / round;
    while (edge + 2 < closed.size() && done + (closed[edge + 1] - closed[edge]).norm() < want)
      done += (closed[edge + 1] - closed[edge]).norm(), ++edge;
    ring.push_back(closed[edge] + (closed[edge + 1] - closed[edge]).normalized() * (want - done));
  }
  const auto node = [&](int i, int k) { return 1 + i * round + k % round; };
  std::string model = "*NODE, NSET=ALL\n", elements = "*ELEMENT, TYPE=S4, ELSET=BOX\n", held, loads, asked;
  for (int i = 0; i <= along; ++i)
    for (int k = 0; k < round; ++k) {
      const Point& p = ring[static_cast<std::size_t>(k)];
      model += fmt::format("{},{},{},{}\n", node(i, k), p.x(), p.y(), length * i / along);
      if (i == 0) held += fmt::format("{},1,2\n", node(i, k));
      if (i < along)
        elements += fmt::format("{},{},{},{},{}\n", 1 + i * round + k, node(i, k), node(i, k + 1), node(i + 1, k + 1),
                                node(i + 1, k));
    }
  held += fmt::format("{},3,3\n", node(0, 0));
  constexpr double flow = 0.1; // N/mm
  double twice = 0;
  for (int k = 0; k < round; ++k) {
    const Point &a = ring[static_cast<std::size_t>(k)], &b = ring[static_cast<std::size_t>((k + 1) % round)];
    const Point force = (b - a) * flow / 2;
    for (const int at : {k, k + 1})
      loads += fmt::format("{0},1,{1}\n{0},2,{2}\n", node(along, at), force.x(), force.y());
    twice += a.x() * b.y() - a.y() * b.x();
  }
  const double torque = flow * twice;
  for (const int i : {along / 4, 3 * along / 4})
    for (int k = 0; k < round; ++k) asked += fmt::format("{}\n", node(i, k));
  model +=
      elements + fmt::format("*MATERIAL, NAME=WOOD\n*ELASTIC\n{},{}\n*SHELL SECTION, ELSET=BOX, MATERIAL=WOOD\n{}\n"
                             "*BOUNDARY\n{}",
                             modulus, ratio, thick, held);
  const Moves moved = solved(model, loads, asked);
  const auto turnAt = [&](int i) { // of the ring as a whole, by least squares about its middle
    Point middle(0, 0), drift(0, 0);
    for (int k = 0; k < round; ++k)
      middle += ring[static_cast<std::size_t>(k)] / round, drift += moved.at(node(i, k)).head<2>() / round;
    double sum = 0, arms = 0;
    for (int k = 0; k < round; ++k) {
      const Point arm = ring[static_cast<std::size_t>(k)] - middle, by = moved.at(node(i, k)).head<2>() - drift;
      sum += arm.x() * by.y() - arm.y() * by.x();
      arms += arm.squaredNorm();
    }
    return sum / arms;
  };
  const double shear = modulus / (2 * (1 + ratio)), turn = turnAt(3 * along / 4) - turnAt(along / 4);
  const double j = torque * length / 2 / (shear * turn), reckoned = torsionConstant(box, thick);
  EXPECT_NEAR(j, reckoned, 0.05 * reckoned);
}

/// A ladder of two spars and ribs, with diagonals or without: the same members for both programs. They are of sheet: a
/// beam of CalculiX is one element wide and high, which makes a square one some 18 % too stiff in twist.
struct Ladder {
  static constexpr int bays = 5;
  static constexpr double bay = 60, chord = 110, modulus = 4000, ratio = 0.3, shear = modulus / (2 * (1 + ratio));
  static constexpr double arm = 9; // from a spar's middle to where a diagonal meets it
  struct Member {
    int a, b; ///< node on the front spar: 2 i, on the rear one: 2 i + 1
    double upA, upB, wide, high;
  };
  std::vector<Member> members;
  explicit Ladder(bool zigzag) {
    for (int i = 0; i <= bays; ++i) {
      members.push_back({2 * i, 2 * i + 1, 0, 0, 1.5, 18});
      if (i == bays) break;
      members.push_back({2 * i, 2 * i + 2, 0, 0, 2, 22});
      members.push_back({2 * i + 1, 2 * i + 3, 0, 0, 2, 16});
      if (!zigzag) continue;
      for (const double up : {arm, -arm}) // along the top and along the underside
        i % 2 == 0 ? members.push_back({2 * i, 2 * i + 3, up, up, 3, 3})
                   : members.push_back({2 * i + 1, 2 * i + 2, up, up, 3, 3});
    }
  }
  static Point3 at(int node, double up = 0) { return {node % 2 * chord, node / 2 * bay, up}; }
  static std::vector<int> held() { return {0, 1}; }
  static int front() { return 2 * bays; }
  static int rear() { return front() + 1; }
};

double twistOf(const Ladder& ladder) {
  SpaceFrame frame;
  for (int n = 0; n < 2 * (Ladder::bays + 1); ++n) frame.node(Ladder::at(n));
  for (const Ladder::Member& m : ladder.members)
    frame.member(m.a, Ladder::at(m.a, m.upA), m.b, Ladder::at(m.b, m.upB),
                 rectangularMember(Ladder::modulus, Ladder::shear, m.wide, m.high), Point3::UnitZ());
  const int front = 2 * Ladder::bays, rear = front + 1;
  frame.hold(0), frame.hold(1);
  frame.force(front, Ladder::at(front), {0, 0, -1}), frame.force(rear, Ladder::at(rear), {0, 0, 1});
  EXPECT_TRUE(frame.solve().ok());
  return (frame.moved(rear, Ladder::at(rear)).z() - frame.moved(front, Ladder::at(front)).z()) / Ladder::chord;
}

/// How far the outermost rib turns under a pair of unit forces at its ends, each its chord times the turn.
template <class Frame> double twistByCalculix(const Frame& ladder) {
  std::map<std::array<long, 3>, int> numbers;
  std::string nodes = "*NODE, NSET=ALL\n", elements, sections;
  const auto nodeAt = [&](const Point3& p) {
    const std::array<long, 3> key{std::lround(p.x() * 1e4), std::lround(p.y() * 1e4), std::lround(p.z() * 1e4)};
    const auto [found, fresh] = numbers.try_emplace(key, static_cast<int>(numbers.size()) + 1);
    if (fresh) nodes += fmt::format("{},{},{},{}\n", found->second, p.x(), p.y(), p.z());
    return found->second;
  };
  int element = 0, set = 0;
  const auto beam = [&](const Point3& a, const Point3& b, double wide, double high, const char* wood, int parts) {
    ++set;
    elements += fmt::format("*ELEMENT, TYPE=B32, ELSET=S{}\n", set);
    for (int i = 0; i < parts; ++i)
      elements += fmt::format("{},{},{},{}\n", ++element, nodeAt(a + (b - a) * i / parts),
                              nodeAt(a + (b - a) * (i + 0.5) / parts), nodeAt(a + (b - a) * (i + 1) / parts));
    // The first direction of the section: across the member, level; for an upright arm, aft.
    const Point3 run = b - a;
    const Point3 across =
        std::abs(run.z()) > 0.9 * run.norm() ? Point3(1, 0, 0) : Point3(run.y(), -run.x(), 0).normalized();
    sections += fmt::format("*BEAM SECTION, ELSET=S{}, MATERIAL={}, SECTION=RECT\n{},{}\n{},{},{}\n", set, wood, wide,
                            high, across.x(), across.y(), across.z());
  };
  std::map<std::pair<int, int>, bool> arms;
  for (const auto& m : ladder.members) {
    beam(ladder.at(m.a, m.upA), ladder.at(m.b, m.upB), m.wide, m.high, "WOOD", 6);
    for (const auto& [node, up] : {std::pair(m.a, m.upA), std::pair(m.b, m.upB)})
      if (up != 0 && arms.try_emplace({node, up > 0}, true).second)
        beam(ladder.at(node), ladder.at(node, up), 6, 6, "STIFF", 1);
  }
  std::string held = "*BOUNDARY\n";
  for (const int node : ladder.held()) held += fmt::format("{},1,6\n", nodeAt(ladder.at(node)));
  const int front = nodeAt(ladder.at(ladder.front())), rear = nodeAt(ladder.at(ladder.rear()));
  const std::string model =
      nodes + elements +
      fmt::format("*MATERIAL, NAME=WOOD\n*ELASTIC\n{},{}\n*MATERIAL, NAME=STIFF\n*ELASTIC\n{},0.3\n", Ladder::modulus,
                  Ladder::ratio, 1e3 * Ladder::modulus) +
      sections + held;
  const Moves moved =
      solved(model, fmt::format("{},3,-1\n{},3,1\n", front, rear), fmt::format("{}\n{}\n", front, rear));
  return (moved.at(rear).z() - moved.at(front).z()) / (ladder.at(ladder.rear()) - ladder.at(ladder.front())).x();
}

TEST(CalculiX, OpenFrameWithAndWithoutDiagonals) {
  const Ladder plain(false), braced(true);
  const double ours = twistOf(plain), theirs = twistByCalculix(plain);
  EXPECT_NEAR(ours, theirs, 0.1 * theirs);
  const double gain = ours / twistOf(braced), gainThere = theirs / twistByCalculix(braced);
  EXPECT_GT(gain, 1.5);
  EXPECT_NEAR(gain, gainThere, 0.1 * gainThere);
}

/// A plain panel of two sheet spars, ribs and a square tail strip, with an aileron cut out of it or whole, as its
/// builder would draw its members: ribs end at the facing where the bay is open. NACA 0012 all along.
struct CutOutPanel {
  static constexpr int ribs = 7, first = 2, last = 5; // the aileron between the third and the sixth
  static constexpr double bay = 70, chord = 220, front_ = 0.15, back = 0.5, hinge = 0.76;
  struct Member {
    int a, b;
    double upA, upB, wide, high;
  };
  std::vector<Point3> nodes;
  std::vector<Member> members;
  bool opened;

  static double depth(double x) { // NACA Report 460
    return 1.2 * chord *
           (0.2969 * std::sqrt(x) - 0.1260 * x - 0.3516 * x * x + 0.2843 * x * x * x - 0.1015 * x * x * x * x);
  }
  static double tail() { return (chord - 0.5) / chord; } // the middle of an upright strip of 1 by 9
  static int node(int rib, int line) { return 4 * rib + line; }
  explicit CutOutPanel(bool cut) : opened(cut) {
    const double lines[] = {front_, back, hinge, tail()};
    for (int i = 0; i < ribs; ++i)
      for (const double x : lines) nodes.emplace_back(x * chord, i * bay, 0);
    const auto between = [&](double a, double b) { return (depth(a) + depth(b)) / 2; };
    for (int i = 0; i < ribs; ++i) {
      const bool open = cut && i > first && i < last, faced = cut && i >= first && i <= last;
      members.push_back({node(i, 0), node(i, 1), 0, 0, 1, between(front_, back)});
      if (faced) members.push_back({node(i, 1), node(i, 2), 0, 0, 1, between(back, hinge)});
      if (faced && !open) members.push_back({node(i, 2), node(i, 3), 0, 0, 1, between(hinge, tail())});
      if (!faced) members.push_back({node(i, 1), node(i, 3), 0, 0, 1, between(back, tail())});
      if (i + 1 == ribs) break;
      members.push_back({node(i, 0), node(i + 1, 0), 0, 0, 1, depth(front_)});
      members.push_back({node(i, 1), node(i + 1, 1), 0, 0, 1, depth(back)});
      if (cut && i >= first && i < last)
        members.push_back({node(i, 2), node(i + 1, 2), 0, 0, 1, depth(hinge)});
      else
        members.push_back({node(i, 3), node(i + 1, 3), 0, 0, 1, 9});
    }
  }
  Point3 at(int i, double up = 0) const { return nodes[static_cast<std::size_t>(i)] + Point3(0, 0, up); }
  static std::vector<int> held() { return {node(0, 0), node(0, 1), node(0, 3)}; }
  static int front() { return node(ribs - 1, 0); }
  static int rear() { return node(ribs - 1, 3); }

  Design design() const {
    Design d = test::bareDesign();
    Material wood;
    wood.key = "own-1", wood.label = "wood", wood.modulus = Ladder::modulus, wood.shear = Ladder::shear;
    d.own.materials = {wood};
    PanelDesign& p = d.inner();
    p.panel = test::panelOf(bay * (ribs - 1), chord, chord);
    p.sections.root.kind = p.sections.tip.kind = SectionKind::naca;
    p.sections.root.naca = p.sections.tip.naca = "0012";
    p.ribs.count = ribs, p.ribs.material = "own-1";
    p.ribs.thickness = p.ribs.rootThickness = p.ribs.tipThickness = 1;
    for (const double x : {front_, back}) {
      Spar s;
      s.kind = SparKind::fullDepth, s.sheet = 1, s.sheetMaterial = "own-1";
      s.rootFraction = s.tipFraction = x;
      p.spars.push_back(s);
    }
    p.trailingEdge.kind = TrailingEdgeKind::square, p.trailingEdge.width = 1, p.trailingEdge.height = 9;
    p.trailingEdge.material = "own-1";
    p.stiffening.covering = uncovered;
    if (!opened) return d;
    Surface s;
    s.from = first * bay, s.to = last * bay, s.chordFrom = s.chordTo = hinge, s.at = HingeAt::middle;
    s.wingFacing = 1, s.facingMaterial = "own-1";
    p.surfaces = {s};
    return d;
  }
};

TEST(CalculiX, FrameWithAnAileronCutOut) {
  double turns[2];
  for (const bool cut : {false, true}) {
    const CutOutPanel panel(cut);
    const TrueWing w = wingOf(panel.design());
    ASSERT_TRUE(w.inner().strength.twist);
    const FrameTwist& ours = *w.inner().strength.twist;
    const double apart = (panel.at(CutOutPanel::rear()) - panel.at(CutOutPanel::front())).x();
    const double theirs = twistByCalculix(panel) * ours.couple / apart;
    EXPECT_NEAR(ours.twist, theirs, 0.1 * theirs) << cut;
    turns[cut ? 1 : 0] = ours.twist;
  }
  EXPECT_GT(turns[1], 1.05 * turns[0]);
}

/// A wing as beams: square ones a step long, each of the wing's stiffness in its middle, E of 10000 and a side that
/// gives EI. Pressing is left out: its nodes only go up and down. `first` numbers its nodes and, ten times, its
/// elements.
struct BeamWing {
  static constexpr int steps = 60;
  std::string nodes, elements, sections, bounds, loads;

  BeamWing(const WholeWing& wing, int first, double up) : from(first), span(wing.panels.front().shape.loft.span()) {
    const Strength& bending = wing.panels.front().strength.bending;
    for (int i = 0; i <= 2 * steps; ++i) nodes += fmt::format("{},0,{},{}\n", first + i, along(i), up);
    for (int i = 0; i < steps; ++i) {
      const double side = std::pow(12 * bending.along[static_cast<std::size_t>(2 * i + 1)].stiffness / 10000, 0.25);
      const int set = first + i;
      elements += fmt::format("*ELEMENT, TYPE=B32R, ELSET=E{0}\n{0},{1},{2},{3}\n", set, first + 2 * i,
                              first + 2 * i + 1, first + 2 * i + 2);
      sections += fmt::format("*BEAM SECTION, ELSET=E{0}, MATERIAL=WOOD, SECTION=RECT\n{1},{1}\n1.,0.,0.\n", set, side);
    }
    bounds = fmt::format("{},1,6\n", first);
    for (int i = 1; i <= 2 * steps; ++i) {
      bounds += fmt::format("{},1,2\n", first + i);
      const double weight = (i % 2 == 1 ? 4.0 : i == 2 * steps ? 1.0 : 2.0) / 6 * span / steps;
      loads += fmt::format("{},3,{}\n", first + i, wing.loads.front().load.perLength(along(i)) * weight);
    }
  }
  double along(int node) const { return span * node / (2 * steps); }
  int nodeAt(double out) const { return from + static_cast<int>(std::lround(out / span * 2 * steps)); }
  int tip() const { return from + 2 * steps; }

private:
  int from;
  double span;
};

Design onStruts() {
  Design d = taperedSpar();
  d.inner().join.dihedral = {DihedralBy::angle, 0};
  d.flying.kind = typedFactors, d.flying.loadFactor = 4, d.flying.pushFactor = 0, d.flying.relief = false;
  Strut s;
  s.out = 420, s.footAft = 70, s.footRight = 30, s.footUp = -140;
  s.width = 10, s.depth = 5;
  d.wings.front().struts = {s};
  return d;
}

/// Of spruce, 10 × 5, between two nodes.
std::string barBetween(int a, int b) {
  return fmt::format("*ELEMENT, TYPE=T3D2, ELSET=BAR\n9000,{},{}\n*MATERIAL, NAME=SPRUCE\n*ELASTIC\n10800.,0.3\n"
                     "*SOLID SECTION, ELSET=BAR, MATERIAL=SPRUCE\n{}\n",
                     a, b, 10 * 5.0);
}
/// Without contraction across it: where sections change the solver keeps them rigid, which would stiffen the beam.
constexpr const char* beamWood = "*MATERIAL, NAME=WOOD\n*ELASTIC\n10000.,0.\n";

// A wing that tapers, on a clamped root, with a strut: beams of the wing's own stiffness and a bar.
TEST(CalculiX, WingOnAStrut) {
  Design d = onStruts();
  const TrueWing w = wingOf(d);
  const HeldStrut& held = w.main().held.struts.front();
  const BeamWing beam(w.main(), 1, 0);
  const double out = d.wings.front().struts.front().out;
  const int at = beam.nodeAt(out);
  const Point3 foot = held.place.foot - held.place.top + Point3(0, out, 0);
  const Moves moved = solved(
      "*NODE, NSET=ALL\n" + beam.nodes + fmt::format("8000,{},{},{}\n", foot.x(), foot.y(), foot.z()) + beam.elements +
          barBetween(at, 8000) + beamWood + beam.sections + "*BOUNDARY\n" + beam.bounds + "8000,1,3\n",
      beam.loads, fmt::format("{}\n{}\n", at, beam.tip()));
  const double up = moved.at(at).z(), pull = 10800 * 50 / held.length * up * held.ends.front().drawsDown;
  EXPECT_NEAR(held.forces.front().force, pull, 0.03 * pull);
  d.wings.front().struts.clear(); // what is left is the difference of two bends as large as that of the free wing
  const double free = wingOf(d).main().tipDeflection;
  EXPECT_NEAR(w.main().tipDeflection, moved.at(beam.tip()).z(), 0.02 * free);
  EXPECT_LT(w.main().tipDeflection, 0.5 * free);
}

// Two such wings, one over the other, the upper carrying three times as much, a slanting strut between them.
TEST(CalculiX, TwoWingsHeldTogether) {
  Design d = onStruts();
  Wing lower = d.wings.front();
  lower.kind = WingKind::second, lower.up = -160, lower.carries = 0.25, lower.struts.clear();
  lower.panels.front().spars.front().top.width = lower.panels.front().spars.front().bottom.width = 6;
  d.wings.front().carries = 0.75;
  d.wings.push_back(lower);
  Strut& s = d.wings.front().struts.front();
  s.foot = Footing::wing, s.footWing = 2, s.footOut = 360;
  s.material = "spruce";
  const TrueWing w = wingOf(d);
  const HeldStrut& held = w.main().held.struts.front();
  const BeamWing over(w.wing(0), 1, 0), under(w.wing(1), 1001, held.place.foot.z() - held.place.top.z());
  const int top = over.nodeAt(s.out), foot = under.nodeAt(s.footOut);
  const Moves moved =
      solved("*NODE, NSET=ALL\n" + over.nodes + under.nodes + over.elements + under.elements + barBetween(top, foot) +
                 beamWood + over.sections + under.sections + "*BOUNDARY\n" + over.bounds + under.bounds,
             over.loads + under.loads, fmt::format("{}\n{}\n{}\n{}\n", top, foot, over.tip(), under.tip()));
  const double way = (moved.at(top).z() - moved.at(foot).z()) * std::abs(held.place.foot.z() - held.place.top.z()) /
                     held.length,
               pull = 10800 * 50 / held.length * way;
  EXPECT_NEAR(held.forces.front().force, pull, 0.03 * pull);
  EXPECT_NEAR(w.wing(0).tipDeflection, moved.at(over.tip()).z(), 0.03 * moved.at(over.tip()).z());
  EXPECT_NEAR(w.wing(1).tipDeflection, moved.at(under.tip()).z(), 0.03 * moved.at(under.tip()).z());
}

} // namespace
} // namespace eup
