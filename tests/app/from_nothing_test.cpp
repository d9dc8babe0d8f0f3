// Six wings of the range, laid out from a new wing with the window alone: what a builder would type, choose and press.
#include "core/takeaway/take_away.h"
#include "driver.h"

namespace eup::app::test {
namespace {

class FromNothing : public WindowTest {
protected:
  void begin(const char* name) {
    window->newWing();
    stage(3);
    part("model.0");
    type("name", name);
  }
  void panelIs(const char* span, const char* root, const char* tip, const char* setback, const char* washout) {
    stage(3);
    part("panel.0");
    type("panel.span", span);
    if (*root) type("panel.rootChord", root);
    type("panel.tipChord", tip);
    type("panel.tipSetback", setback);
    type("panel.washout", washout);
  }
  void sectionIs(const char* digits) {
    stage(2);
    for (const char* end : {"root", "tip"}) {
      if (auto* there = window->findChild<QToolButton*>(QString("part %1Section.0").arg(end));
          !there || !there->isVisibleTo(window.get()))
        continue; // the tip of the panel inside
      part((std::string(end) + "Section.0").c_str());
      const std::string path = std::string("sections.") + end;
      choose((path + ".kind").c_str(), "naca");
      type((path + ".naca").c_str(), digits);
    }
  }
  void set(const char* flag, bool on) {
    auto* box = find<QCheckBox>(flag);
    ASSERT_NE(box, nullptr) << flag;
    if (box->isChecked() != on) QTest::mouseClick(box, Qt::LeftButton);
  }
  void weighs(const char* grams) {
    stage(5);
    part("loads.0");
    type("flying.mass", grams);
  }
  /// It can be built, nothing serious is found, and everything can be taken to the bench.
  void isSound() {
    ASSERT_TRUE(window->document().possible());
    for (const Finding& f : window->document().findings())
      EXPECT_NE(f.severity, Severity::serious) << f.what << ": " << f.detail;
    const QTemporaryDir folder;
    ExportOrder order;
    order.formats = {ExportFormat::pdf};
    order.oneDocument = true;
    EXPECT_TRUE(exportWing(window->document().wing(), folder.path().toStdString(), order).ok());
    for (int number = 2; number <= 8; ++number) {
      stage(number);
      EXPECT_TRUE(isDrawn(*board())) << number;
    }
  }
};

TEST_F(FromNothing, AnIndoorWing) {
  begin("Indoor");
  panelIs("240", "110", "95", "4", "0");
  sectionIs("2405");
  stage(7);
  part("sheeting.0");
  set("sheeting.top", false), set("sheeting.bottom", false);
  stage(4);
  part("capStrips.0");
  set("capStrips.top", false), set("capStrips.bottom", false);
  part("ribs.0");
  for (const char* rib : {"ribs.thickness", "ribs.rootThickness", "ribs.tipThickness"}) type(rib, "0.8");
  type("ribs.rim", "0.3");
  part("leadingEdge.0");
  choose("leadingEdge.kind", "square");
  type("leadingEdge.width", "2");
  part("trailingEdge.0");
  choose("trailingEdge.kind", "square");
  type("trailingEdge.width", "2");
  type("trailingEdge.height", "1.5");
  weighs("3");
  while (!design().inner().spars.empty()) {
    part("spar.0");
    press("removeSpar");
  }
  stage(6);
  while (!design().inner().join.braces.empty()) {
    part("brace.0");
    press("removeBrace");
  }
  part("posts.0");
  putIn("posts.fitted");
  stage(3);
  part("leftHand.0");
  set("left.differs", true);
  type("left.washout", "-1");
  EXPECT_EQ(window->document().wing().inner().strength.bending.edges.size(), 2u);
  isSound();
}

TEST_F(FromNothing, AGliderOfThreePanels) {
  begin("Glider");
  panelIs("380", "200", "190", "4", "0");
  for (int i = 0; i < 2; ++i) {
    stage(3);
    part("panel.0");
    press("addPanel");
  }
  ASSERT_EQ(design().wings.front().panels.size(), 3u);
  goTo("panel", 2);
  panelIs("320", "", "160", "14", "0.5");
  stage(6);
  part("join.0");
  type("join.dihedral.angle", "6");
  goTo("panel", 3);
  panelIs("220", "", "110", "24", "1.5");
  stage(6);
  part("join.0");
  type("join.dihedral.angle", "10");
  weighs("700");
  isSound();
}

TEST_F(FromNothing, AVintageWing) {
  begin("Vintage");
  panelIs("560", "190", "150", "15", "1.5");
  sectionIs("6409");
  stage(7);
  part("sheeting.0");
  set("sheeting.top", false), set("sheeting.bottom", false);
  stage(4);
  part("riblets.0");
  type("riblets.inBay", "1");
  stage(3);
  part("tip.0");
  choose("tip.kind", "own");
  type("tip.outline", "20 : 30; 70 : 52; 120 : 36");
  type("tip.pieces", "3");
  weighs("380");
  isSound();
}

TEST_F(FromNothing, ASweptWing) {
  begin("Swept");
  panelIs("700", "250", "170", "160", "3");
  weighs("1300");
  stage(6);
  while (!design().inner().join.braces.empty()) { // with sweep no flat one lies on the spars
    part("brace.0");
    press("removeBrace");
  }
  part("joiner.0");
  putIn("joiner.fitted");
  type("joiner.fraction", "50");
  isSound();
}

TEST_F(FromNothing, ALargeWingOnStruts) {
  begin("Large");
  panelIs("1200", "300", "260", "10", "1");
  stage(3);
  part("ribPlaces.0");
  type("ribs.count", "19");
  weighs("4200");
  part("topCap.0");
  type("spars.0.top.width", "10"), type("spars.0.top.depth", "5");
  part("bottomCap.0");
  type("spars.0.bottom.width", "10"), type("spars.0.bottom.depth", "5");
  stage(6);
  part("strut.0");
  press("addStrut");
  type("struts.0.out", "640");
  type("struts.0.footUp", "-260");
  choose("struts.0.shape", "tube");
  type("struts.0.depth", "10");
  choose("struts.0.material", "aluminium-tube");
  EXPECT_GT(figure("struts.relief"), 0.3);
  isSound();
}

TEST_F(FromNothing, ATailplane) {
  begin("Model");
  weighs("900");
  stage(3);
  part("wing.0");
  auto* add = find<QPushButton>("addWing");
  ASSERT_NE(add, nullptr);
  ASSERT_NE(add->menu(), nullptr);
  for (QAction* a : add->menu()->actions())
    if (a->text().contains("tailplane", Qt::CaseInsensitive)) a->trigger();
  ASSERT_EQ(design().wings.size(), 2u);
  goTo("wing", 2);
  panelIs("260", "150", "110", "12", "0");
  isSound();
}

} // namespace
} // namespace eup::app::test
