// A left hand of its own: against the mirror image where nothing differs, and against a wing whose right hand was
// decided so.
#include "core/described/design_file.h"
#include "core/design/panel_rules.h"
#include "core/edit/left_hand.h"
#include "core/takeaway/piece_list.h"
#include "core/takeaway/take_away.h"
#include "core/wing/model_balance.h"
#include "support.h"
#include <map>

namespace eup {
namespace {

using test::figureOf;
using test::wingOf;

Design demo(const char* name) {
  return demoDesign(name);
}

std::map<std::string, std::string> printsOf(const TrueWing& w, Hand hand) {
  const test::ScratchFolder folder;
  ExportOrder order;
  order.formats = {ExportFormat::svg};
  order.hands = {hand};
  std::map<std::string, std::string> out;
  const auto written = exportWing(w, folder.path, order);
  EXPECT_TRUE(written.ok());
  for (const auto& path : written.value()) out[path.filename().string()] = test::slurp(path);
  return out;
}

TEST(LeftHand, ThatDiffersByNothingIsTheMirrorImage) {
  Design d = demo("tarnbrook-2000");
  const TrueWing plain = wingOf(d);
  for (PanelDesign& p : d.wings.front().panels) p.left.differs = true;
  const TrueWing own = wingOf(d);
  ASSERT_NE(own.left, nullptr);
  EXPECT_EQ(plain.left, nullptr);
  EXPECT_EQ(printsOf(own, Hand::left), printsOf(plain, Hand::left));
  EXPECT_EQ(pieceList(own).size(), pieceList(plain).size()) << "every piece is alike";
  EXPECT_EQ(findingsOf(own).size(), findingsOf(plain).size());
  for (const Figure& f : figuresOf(own)) EXPECT_FALSE(f.key.starts_with("left.")) << f.key;
  EXPECT_NEAR(balanceOf(own).all.grams, balanceOf(plain).all.grams, 1e-9);
}

TEST(LeftHand, IsTheRightHandOfAWingThatWasDecidedSo) {
  Design d = demo("oldacre-1320");
  d.inner().join.sparsThere = SparsThere::end; // what runs over the centre is of both hands
  const TrueWing plain = wingOf(d);
  Design other = d;
  LeftHand& own = d.inner().left;
  own.differs = true;
  own.span = 24, own.tipChord = -6, own.washoutDeg = -1.5, own.rootChord = 3;
  const double gamma = dihedralDeg(d.inner().join.dihedral, d.inner().panel.span);
  Panel& p = other.inner().panel;
  p.span += 24, p.tipChord -= 6, p.washoutDeg -= 1.5, p.rootChord += 3;
  other.inner().join.dihedral = {DihedralBy::angle, gamma};
  const TrueWing w = wingOf(d), as = wingOf(other);
  auto left = printsOf(w, Hand::left), leftOfOther = printsOf(as, Hand::left);
  auto right = printsOf(w, Hand::right), was = printsOf(plain, Hand::right);
  for (auto* prints : {&left, &leftOfOther, &right, &was}) // it tells the join of both hands, whose glue differs
    EXPECT_EQ(prints->erase("oldacre-1320-work-sheet-right.svg") + prints->erase("oldacre-1320-work-sheet-left.svg"),
              1U);
  EXPECT_EQ(left, leftOfOther);
  EXPECT_EQ(right, was) << "the right hand stays";
  int more = 0;
  for (const Figure& f : figuresOf(w))
    if (f.key.starts_with("left.")) {
      const Figure* there = figureNamed(as, f.key.substr(5));
      ASSERT_NE(there, nullptr) << f.key;
      EXPECT_NEAR(f.value, there->value, 1e-9 * std::max(1.0, std::abs(f.value))) << f.key;
      ++more;
    }
  EXPECT_GT(more, 60);
  EXPECT_NEAR(figureOf(w, "panel.span"), (figureOf(plain, "panel.span") + figureOf(as, "panel.span")) / 2, 1e-9);
  EXPECT_NEAR(figureOf(w, "panel.area"), (figureOf(plain, "panel.area") + figureOf(as, "panel.area")) / 2, 1e-6);
  EXPECT_EQ(radToDeg(w.left->inner().design.gamma), gamma) << "both halves rise alike";
}

/// Mean chord of both halves together, by summing strips.
TEST(LeftHand, MeanChordIsOfBothHalves) {
  Design d = test::bareDesign();
  d.inner().spars = {Spar{}};
  d.inner().panel = test::panelOf(600, 200, 120, 30);
  d.inner().left = {true, 60, 0, 20, 0};
  const TrueWing w = wingOf(d);
  double area = 0, square = 0;
  const int n = 200000;
  for (const auto& [span, root, tip] : {std::tuple(600.0, 200.0, 120.0), std::tuple(660.0, 200.0, 140.0)})
    for (int i = 0; i < n; ++i) {
      const double c = root + (tip - root) * (i + 0.5) / n;
      area += c * span / n, square += c * c * span / n;
    }
  EXPECT_NEAR(figureOf(w, "panel.area"), area, 1e-5 * area);
  EXPECT_NEAR(figureOf(w, "panel.mac"), square / area, 1e-5 * square / area);
}

TEST(LeftHand, HasPartsOfItsOwnAndWeighsDown) {
  for (const bool passes : {false, true}) { // strips that pass the centre are of both hands
    Design d = demo("oldacre-1320");
    d.inner().join.sparsThere = passes ? SparsThere::through : SparsThere::end;
    const TrueWing plain = wingOf(d);
    d.inner().left = {true, 30, 0, 0, 0};
    const TrueWing w = wingOf(d);
    double listed = 0, ofMain = 0, right = 0, left = 0;
    int ofLeft = 0;
    for (const PieceLine& l : pieceList(w)) {
      if (l.panel->design.id.wing == 0) ofMain += l.grams;
      listed += l.grams;
      if (l.only == Hand::left) {
        ++ofLeft;
        EXPECT_EQ(l.right, 0);
        EXPECT_LT(l.centre.y(), 0) << nameOf(l);
        EXPECT_NE(nameOf(l).find("left hand"), std::string::npos);
      }
    }
    for (const TruePanel& p : w.main().panels) right += p.mass.grams();
    for (const TruePanel& p : w.left->main().panels) left += p.mass.grams();
    EXPECT_GT(ofLeft, passes ? 2 : 5);
    EXPECT_NEAR(ofMain, right + left, 1e-6);
    EXPECT_NEAR(figureOf(w, "parts.mass"), ofMain, 1e-6);
    const ModelBalance b = balanceOf(w);
    EXPECT_NEAR(b.pieces.grams, listed, 1e-6);
    EXPECT_LT(b.rightMore, balanceOf(plain).rightMore) << "it hangs to the left";
  }
}

TEST(LeftHand, StaysWithinLimitsAndItsFaultsAreSaid) {
  Design d = demo("oldacre-1320");
  d.inner().ribs.rule = RibRule::stations;
  d.inner().ribs.stations = {0, 200, d.inner().panel.span};
  d.inner().left = {true, -400, 0, -300, 0};
  const Design left = leftOf(d);
  EXPECT_GE(left.inner().panel.tipChord, 5);
  EXPECT_NEAR(left.inner().ribs.stations.back(), left.inner().panel.span, 1e-9) << "ribs go with the span";
  EXPECT_FALSE(handsDiffer(left));
  const auto made = work(d);
  if (const auto* w = std::get_if<TrueWing>(&made)) {
    bool said = false;
    for (const Finding& f : findingsOf(*w)) said = said || f.what.starts_with("Left hand: ");
    EXPECT_TRUE(said);
  }
}

} // namespace
} // namespace eup
