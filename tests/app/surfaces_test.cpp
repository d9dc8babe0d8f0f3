// Hinge surfaces in the window: put in, pulled, swung by hand, moved by a servo; leads and hard points.
#include "app/boards/stage_boards.h"
#include "driver.h"

namespace eup::app::test {
namespace {

class SurfaceStage : public WindowTest {
protected:
  /// Of the menu of that button.
  void put(const char* button, int kind) {
    find<QPushButton>(button)->menu()->actions().at(kind)->trigger();
    QApplication::processEvents();
  }
  void emptied() {
    Design d = design();
    d.inner().surfaces.clear(), d.inner().runs.clear(), d.inner().hardPoints.clear();
    window->document().edit("bare", std::move(d));
    stage(9);
  }
  double swung() { return dynamic_cast<SurfaceBoard*>(board())->swung(); }
};

TEST_F(SurfaceStage, EveryKindIsPutIn) {
  emptied();
  EXPECT_EQ(window->standpoint().stage(), Stage::surfaces);
  EXPECT_TRUE(isDrawn(*board())) << "an empty board says how";
  for (int kind = 0; kind < static_cast<int>(surfaceKindChoices.size()) - 1; ++kind) {
    part("surface.0");
    put("addSurface", kind);
    ASSERT_EQ(design().inner().surfaces.size(), 1U) << kind;
    EXPECT_EQ(window->standpoint().subject().topic, Topic::surface);
    EXPECT_TRUE(isDrawn(*board()));
    EXPECT_GT(figure("surface.1.length"), 50);
    press("removeSurface");
    EXPECT_TRUE(design().inner().surfaces.empty());
  }
  window->document().undo();
  EXPECT_EQ(design().inner().surfaces.size(), 1U);
}

TEST_F(SurfaceStage, AnAileronFromNothing) {
  emptied();
  part("surface.0");
  put("addSurface", 0);
  type("surfaces.0.from", "15 in");
  type("surfaces.0.to", "690");
  EXPECT_NEAR(design().inner().surfaces[0].from, 381, 1e-9);
  choose("surfaces.0.by", "fromTail");
  type("surfaces.0.tailFrom", "46");
  type("surfaces.0.tailTo", "38");
  EXPECT_NEAR(figure("surface.1.innerChord"), 46, 0.2);
  choose("surfaces.0.at", "middle");
  part("surfaceTravel.0");
  choose("surfaces.0.travelIn", "millimetres");
  type("surfaces.0.upMm", "15");
  EXPECT_NEAR(radToDeg(figure("surface.1.travelUp")), radToDeg(std::asin(15 / 46.0)), 0.3);
  part("surfaceMake.0");
  type("surfaces.0.facing", "7");
  choose("surfaces.0.plane", "raked");
  type("surfaces.0.rake", "10");
  part("surfaceHinges.0");
  type("surfaces.0.hinges.count", "5");
  EXPECT_GT(figure("surface.1.hinge.5"), 200);
  window->standpoint().setRib(9);
  EXPECT_TRUE(isDrawn(*board()));
  stage(4); // and on the rib itself
  EXPECT_TRUE(isDrawn(*board()));
  window->standpoint().setHand(ShownHand::left);
  stage(9);
  EXPECT_TRUE(isDrawn(*board()));
}

TEST_F(SurfaceStage, EndsAndHingeLineArePulled) {
  emptied();
  part("surface.0");
  put("addSurface", 0);
  const Surface before = design().inner().surfaces[0];
  drag("outer end of the aileron", {-40, 0});
  EXPECT_LT(design().inner().surfaces[0].to, before.to - 10);
  drag("hinge line at the inner end of the aileron", {0, 12});
  EXPECT_NE(design().inner().surfaces[0].chordFrom, before.chordFrom);
  window->document().undo();
  EXPECT_EQ(design().inner().surfaces[0].chordFrom, before.chordFrom);
}

// Swung by hand it decides nothing and can not be undone; its linkage goes along.
TEST_F(SurfaceStage, SwingsByHand) {
  emptied();
  part("surface.0");
  put("addSurface", 0);
  part("surfaceDrive.0");
  choose("surfaces.0.drive.by", "pushrod");
  const Design before = design();
  drag("trailing edge of the aileron, to swing it", {-6, -40});
  EXPECT_GT(swung(), 0.1);
  EXPECT_TRUE(isDrawn(*board()));
  drag("trailing edge of the aileron, to swing it", {-6, 160});
  EXPECT_LT(swung(), -0.1);
  EXPECT_TRUE(isDrawn(*board())) << "far enough to touch";
  EXPECT_EQ(design(), before);
}

TEST_F(SurfaceStage, WhatMovesIt) {
  emptied();
  part("surface.0");
  put("addSurface", 0);
  part("surfaceDrive.0");
  choose("surfaces.0.drive.by", "pushrod");
  type("surfaces.0.drive.at", "450");
  type("surfaces.0.drive.horn", "18");
  const double up = figure("surface.1.linkUp");
  type("surfaces.0.drive.arm", "12");
  EXPECT_GT(figure("surface.1.linkUp"), up);
  choose("surfaces.0.drive.servo", "class-standard");
  EXPECT_EQ(design().inner().surfaces[0].drive.servo, "class-standard");
  const auto& findings = findingsOf(window->document().wing());
  EXPECT_TRUE(
      std::any_of(findings.begin(), findings.end(), [](const Finding& f) { return f.key == "surface.servoDeep"; }));
  choose("surfaces.0.drive.by", "torqueRod");
  type("surfaces.0.drive.wire", "3");
  EXPECT_GT(figure("surface.1.rodTwist"), 0);
  choose("surfaces.0.drive.by", "pullPull");
  EXPECT_TRUE(isDrawn(*board()));
}

TEST_F(SurfaceStage, AFlapInItsTrack) {
  emptied();
  part("surface.0");
  put("addSurface", 1);
  part("surfaceSlide.0");
  QTest::keyClick(find<QCheckBox>("surfaces.0.slide.fitted"), Qt::Key_Space);
  ASSERT_TRUE(design().inner().surfaces[0].slide.fitted);
  type("surfaces.0.slide.endDown", "20");
  EXPECT_GT(figure("surface.1.slideTurn"), 0.1);
  EXPECT_TRUE(isDrawn(*board()));
}

TEST_F(SurfaceStage, LeadsAndHardPoints) {
  emptied();
  part("run.0");
  put("addRun", 0);
  ASSERT_EQ(design().inner().runs.size(), 1U);
  EXPECT_GT(figure("run.1.length"), 100);
  const eup::Run before = design().inner().runs[0];
  drag("outer end of the servo lead", {30, 10});
  EXPECT_NE(design().inner().runs[0].to, before.to);
  EXPECT_NE(design().inner().runs[0].xTo, before.xTo);
  type("runs.0.hole", "60");
  EXPECT_TRUE(isDrawn(*board())) << "no room is red";
  part("hardPoint.0");
  put("addHardPoint", 5);
  ASSERT_EQ(design().inner().hardPoints.size(), 1U);
  const double at = design().inner().hardPoints[0].at;
  drag("middle of the nacelle", {40, 0});
  EXPECT_NE(design().inner().hardPoints[0].at, at);
  press("removeHardPoint");
  EXPECT_TRUE(design().inner().hardPoints.empty());
  part("run.0");
  press("removeRun");
  EXPECT_TRUE(design().inner().runs.empty());
  stage(4);
  part("lightening.0");
  QTest::keyClick(find<QCheckBox>("lightening.bored"), Qt::Key_Space);
  EXPECT_GT(figure("lightening.mass"), 0.05);
  EXPECT_TRUE(isDrawn(*board()));
}

} // namespace
} // namespace eup::app::test
