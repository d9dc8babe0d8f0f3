// The parts list against the drawings, the wing's own geometry and sums made another way.
#include "cli/commands.h"
#include "core/described/design_file.h"
#include "core/files/json.h"
#include "core/files/shipped.h"
#include "core/files/text_file.h"
#include "core/geometry/polyline.h"
#include "core/takeaway/piece_list.h"
#include "core/takeaway/take_away.h"
#include "support.h"
#include <rapidcheck/gtest.h>
#include <set>
#include <sstream>

namespace eup {
namespace {

using test::wingOf;

/// Of all closed cut strokes, holes taken off; whichever way round a piece is drawn.
double cutArea(const std::vector<Drawing>& drawings) {
  double sum = 0;
  for (const Drawing& d : drawings) {
    double one = 0;
    for (const Stroke& s : d.strokes)
      if (s.layer == Layer::cut && s.closed) one += signedArea(s.points);
    sum += std::abs(one);
  }
  return sum;
}

double areaDrawnOn(const TrueWing& w, DrawnOn print, Hand hand) {
  double sum = 0;
  for (const TruePanel& p : w.main().panels)
    for (const Part& part : p.parts)
      if (part.drawn == print && !(part.shared && hand == Hand::left)) sum += part.area * part.count;
  return sum;
}

/// What is cut on the ribs' print is what the list says is drawn there, neither more nor less: by areas, and one
/// drawing a piece.
void ribsPrintIsTheList(const TrueWing& w, const std::string& name) {
  for (const Hand hand : {Hand::right, Hand::left}) {
    const std::vector<Drawing> drawings = ribParts(test::drawn(w), hand);
    std::size_t pieces = 0;
    for (const TruePanel& p : w.main().panels)
      for (const Part& part : p.parts)
        if (part.drawn == DrawnOn::ribs && !(part.shared && hand == Hand::left))
          pieces += static_cast<std::size_t>(part.count);
    EXPECT_EQ(drawings.size(), pieces) << name;
    EXPECT_NEAR(cutArea(drawings), areaDrawnOn(w, DrawnOn::ribs, hand), 1e-3 * cutArea(drawings)) << name;
  }
}

Design withoutCarvedTip(Design d) {
  // A block's print shows templates beside it, a bow's the form that it is bent round: neither is a piece. Feet are
  // broken off.
  for (Wing& wing : d.wings)
    for (PanelDesign& p : wing.panels) {
      if (p.tip.kind != TipKind::outline && p.tip.kind != TipKind::plate) p.tip.kind = TipKind::square;
      p.join.feet = false;
    }
  return d;
}

TEST(PieceList, IsWhatThePrintsShow) {
  for (const std::string& name : shipped::demoNames()) {
    const TrueWing w = wingOf(withoutCarvedTip(demoDesign(name)));
    ribsPrintIsTheList(w, name);
    EXPECT_NEAR(cutArea(bracesOneByOne(test::drawn(w), Hand::right)), areaDrawnOn(w, DrawnOn::braces, Hand::right),
                1e-6)
        << name;
  }
}

RC_GTEST_PROP(PieceList, IsWhatThePrintsOfRandomWingsShow, ()) {
  const auto some = [](double low, double high) { return low + (high - low) * *rc::gen::inRange(0, 1001) / 1000.0; };
  Design d;
  PanelDesign& p = d.inner();
  p.panel = test::panelOf(some(300, 900), some(150, 260), some(120, 200), some(-60, 150), some(-3, 3));
  p.ribs.count = *rc::gen::inRange(4, 14);
  p.ribs.doubled = {*rc::gen::inRange(2, 4)};
  p.riblets.inBay = *rc::gen::inRange(0, 2);
  p.spars[0].webs = *rc::gen::element(Webs::none, Webs::between, Webs::continuous, Webs::core);
  p.spars[0].kind = *rc::gen::element(SparKind::caps, SparKind::fullDepth);
  p.join.sparsThere = *rc::gen::element(SparsThere::end, SparsThere::through);
  p.tip.kind = *rc::gen::element(TipKind::square, TipKind::plate, TipKind::outline);
  const auto result = work(d);
  if (!std::holds_alternative<TrueWing>(result)) return;
  ribsPrintIsTheList(std::get<TrueWing>(result), "random");
}

/// Flat pieces weigh area × thickness × density, strips their section × length: each by its own size on the list.
TEST(PieceList, SizesAndMassesBelongTogether) {
  for (const std::string& name : shipped::demoNames()) {
    const TrueWing w = wingOf(demoDesign(name));
    double grams = 0;
    std::set<std::string> keys;
    for (const PieceLine& l : pieceList(w)) {
      const Part& p = *l.part;
      grams += l.grams;
      const PanelId id = l.panel->design.id;
      EXPECT_TRUE(keys.insert(fmt::format("{}.{}.{}", id.wing, id.panel, p.key())).second) << p.key() << " twice";
      EXPECT_GT(p.length, 0) << name << " " << p.name;
      EXPECT_GT(l.right, 0) << p.name;
      if (p.what() == Part::What::covering) continue;
      const double density = l.panel->design.tables.named(p.material).density * 1e-6;
      const bool sawn = p.what() == Part::What::ribs && p.area > 0 && p.rib && !l.panel->rib(*p.rib).hinges.empty();
      if (sawn) { // what the saw takes of it is gone
        EXPECT_LE(l.gramsEach, (1 + 1e-9) * p.area * p.stock.thickness * density) << name;
        EXPECT_GT(l.gramsEach, 0.9 * p.area * p.stock.thickness * density) << name;
      } else if (p.key() == "sheet.panel") { // what is planed and rounded off it is gone
        EXPECT_LT(l.gramsEach, p.area * p.stock.thickness * density) << name;
      } else if (p.area > 0 && p.what() != Part::What::trailingEdge) {
        EXPECT_NEAR(l.gramsEach, p.area * p.stock.thickness * density, 0.002 * l.gramsEach) << name << " " << p.name;
      }
      if (p.stock.form == Stock::Form::rod) {
        EXPECT_NEAR(l.gramsEach,
                    pi / 4 * (std::pow(p.stock.thickness, 2) - std::pow(p.stock.width, 2)) * p.length * density,
                    1e-6 * l.gramsEach);
      }
      const bool whole =
          p.what() == Part::What::spars || p.what() == Part::What::capStrips || p.what() == Part::What::diagonals;
      if (p.stock.form == Stock::Form::strip && whole && !p.stock.tapers()) {
        EXPECT_NEAR(l.gramsEach, p.stock.width * p.stock.thickness * p.length * density, 0.015 * l.gramsEach)
            << name << " " << p.name;
      }
    }
    double masses = 0;
    for (std::size_t i = 0; i < w.wings.size(); ++i)
      for (std::size_t k = 0; k < w.wings[i].panels.size(); ++k) {
        masses += w.wings[i].panels[k].mass.grams();
        if (w.wings[i].mirrored) masses += w.of(Hand::left).wings[i].panels[k].mass.grams();
      }
    EXPECT_NEAR(grams, masses, 1e-9 * masses) << name;
  }
}

/// A piece's centre lies where it is: of ribs by a grid of points over their wood, of what runs straight between its
/// ends.
TEST(PieceList, CentresLieInTheirPieces) {
  const TrueWing w = wingOf(demoDesign("skerrow-1460"));
  const TruePanel& panel = w.inner();
  int ribs = 0, straight = 0;
  for (const Part& part : panel.parts) {
    if (part.what() == Part::What::ribs && part.bay == 0) {
      const Rib& rib = panel.rib(*part.rib);
      Point3 sum(0, 0, 0);
      int points = 0;
      const Box box = boundsOf(rib.wood);
      for (double x = box.low.x(); x < box.high.x(); x += 0.5)
        for (double y = box.low.y(); y < box.high.y(); y += 0.5)
          if (!intersect(rib.wood, {rectangle({x, y}, {x + 0.01, y + 0.01})}).empty())
            sum += rib.inPanel({x, y}), ++points;
      const Point3 middle = sum / points;
      EXPECT_NEAR(part.centre.x(), middle.x(), 0.4) << part.name;
      EXPECT_NEAR(part.centre.z(), middle.z(), 0.3) << part.name;
      EXPECT_NEAR(part.centre.y(), rib.t() + (rib.body().first + rib.body().second) / 2, 0.2) << part.name;
      if (++ribs == 2) break; // slow
    }
  }
  for (const Part& part : panel.parts)
    if (part.from != part.to && part.stock.form == Stock::Form::strip && !part.stock.tapers()) {
      const double share = (part.centre - part.from).norm() / (part.to - part.from).norm();
      EXPECT_GT(share, 0.3) << part.name;
      EXPECT_LT(share, 0.7) << part.name;
      ++straight;
    }
  EXPECT_EQ(ribs, 2);
  EXPECT_GT(straight, 3);
}

// Counted by hand: three wings of two hands, one spare of every rib.
TEST(PieceList, CountsSparesBatchesAndWhatHandsShare) {
  Design d;
  d.cutList = {5, 1, 3};
  d.inner().join.sparsThere = SparsThere::through; // one root rib for both hands
  const TrueWing w = wingOf(d);
  const auto line = [&](const char* key) {
    for (const PieceLine& l : pieceList(w))
      if (l.part->key() == key) return l;
    ADD_FAILURE() << key;
    return PieceLine{};
  };
  EXPECT_EQ(line("rib.1").right, 4);
  EXPECT_EQ(line("rib.1").left, 0);
  EXPECT_STREQ(handsOf(line("rib.1")), "one for both");
  EXPECT_EQ(line("rib.2").right, 4);
  EXPECT_EQ(line("rib.2").left, 4);
  EXPECT_EQ(line("spar.1.top").right, 3);
  EXPECT_NEAR(cutLength(*line("spar.1.top").part, 5), line("spar.1.top").part->length + 5, 1e-9);
  EXPECT_NEAR(cutLength(*line("rib.2").part, 5), line("rib.2").part->length, 1e-9) << "cut to its outline";
}

/// A cap whose wood changes and that is doubled inboard is three strips, which together weigh what the spar does.
TEST(PieceList, CapsComePieceByPiece) {
  Design d;
  Cap& top = d.inner().spars[0].top;
  top.changes = true, top.changesAt = 0.6, top.doubled = true, top.doubledTo = 0.3, top.tapers = true;
  d.inner().spars[0].bottom.fitted = false;
  const TrueWing w = wingOf(d);
  double grams = 0, length = 0;
  std::map<std::string, const Part*> found;
  for (const Part& p : w.inner().parts)
    if (p.what() == Part::What::spars) grams += p.grams, length += p.length, found[p.key()] = &p;
  ASSERT_EQ(found.size(), 3u);
  EXPECT_NEAR(grams, sparGrams(d.inner().spars[0], w.inner().frame.spars[0], w.inner().design.tables), 1e-6);
  EXPECT_NEAR(length, 700 * w.inner().frame.spars[0].stretch * 1.3, 1.5) << "and what the join takes";
  EXPECT_EQ(found["spar.1.top.outer"]->material, "balsa-160");
  EXPECT_EQ(found["spar.1.top.doubler"]->stock.thickness, top.doubler);
  EXPECT_NEAR(found["spar.1.top"]->stock.widthThen, top.width + (top.tipWidth - top.width) * 0.6, 1e-6);
}

TEST(PieceList, IsWrittenForOtherPrograms) {
  test::ScratchFolder folder;
  const auto path = folder.path / "w.euptera";
  ASSERT_TRUE(writeFileAtomically(path, designToText(demoDesign("tarnbrook-2000"))).ok());
  const auto run = [&](const std::vector<std::string>& more) {
    std::vector<std::string> args{"parts", path.string()};
    args.insert(args.end(), more.begin(), more.end());
    std::ostringstream out, err;
    EXPECT_EQ(cli::run(args, out, err), cli::fine) << err.str();
    return out.str();
  };
  const auto json = test::jsonOf(run({"--json"}));
  double grams = 0;
  for (const auto& part : json["parts"]) grams += part["grams"].get<double>();
  EXPECT_NEAR(grams, json["grams"].get<double>(), 1e-9 * grams);
  const std::string csv = run({"--csv"});
  EXPECT_EQ(static_cast<std::size_t>(std::count(csv.begin(), csv.end(), '\n')), json["parts"].size() + 1);
  EXPECT_NE(run({}).find("all of it, both hands"), std::string::npos);
  std::ostringstream out, err;
  EXPECT_EQ(cli::run({"parts", path.string(), "--json", "--csv"}, out, err), cli::usage);
}

TEST(Balance, IsToldOnTheCommandLine) {
  test::ScratchFolder folder;
  const auto path = folder.path / "w.euptera";
  Design d = demoDesign("oldacre-1320");
  d.balance.aboard = {{"fuselage", 300, 40, 0, 0}};
  ASSERT_TRUE(writeFileAtomically(path, designToText(d)).ok());
  std::ostringstream out, words, err;
  ASSERT_EQ(cli::run({"balance", path.string(), "--json"}, out, err), cli::fine) << err.str();
  const auto json = test::jsonOf(out.str());
  const TrueWing w = wingOf(d);
  EXPECT_NEAR(json["margin"].get<double>(), test::figureOf(w, "balance.margin"), 1e-9);
  EXPECT_NEAR(json["all"]["at"][0].get<double>(), test::figureOf(w, "balance.at"), 1e-9);
  ASSERT_EQ(cli::run({"balance", path.string()}, words, err), cli::fine);
  EXPECT_NE(words.str().find("Neutral point"), std::string::npos);
}

/// The cut list on paper names every piece of its hand once.
TEST(PieceList, IsPrinted) {
  const TrueWing w = wingOf(demoDesign("fenlark-1500"));
  for (const Hand hand : {Hand::right, Hand::left}) {
    std::multiset<std::string> words;
    for (const Drawing& d : cutList(test::drawn(w), hand))
      for (const Label& l : d.labels) words.insert(l.text);
    for (const Part& part : w.inner().parts)
      EXPECT_EQ(words.count(part.name), part.shared && hand == Hand::left ? 0u : 1u) << part.name;
  }
}

} // namespace
} // namespace eup
