// Clicks on a demo plan, as a person makes them: a little off, then snapped to the ink.
#pragma once
#include "core/described/design_file.h"
#include "core/files/json.h"
#include "core/files/shipped.h"
#include "core/plan/ink.h"
#include "core/plan/judge.h"
#include "core/plan/plan_image.h"
#include "places.h"
#include "support.h"
#include <random>

namespace eup::test {

struct ClickedPlan {
  nlohmann::json truth;
  PlanImage image;
  Plan plan;
  double worstSnap = 0; ///< pixels, of snapped crossings off the true ones

  explicit ClickedPlan(const std::string& name) {
    truth = test::jsonOf(slurp(testFile(std::string(name) + "-truth.json")));
    image = std::move(openPlanImage(sourceFile("data/demos/" + std::string(name) + ".png")).value());
    PlanSheet sheet;
    sheet.file = name + ".png";
    sheet.width = image.full().width, sheet.height = image.full().height;
    sheet.dpi = image.dpi;
    for (const auto& l : truth["lengths"]) sheet.lengths.push_back({l["name"], clicks(l["pixels"]), l["length"]});
    sheet.level = clicks(truth["level"]);
    worstSnap = 0; // a level line is read anywhere along it
    plan.sheets.push_back(sheet);
    for (const char* hand : {"right", "left"}) {
      if (!truth.contains(hand)) continue;
      const Hand h = std::string(hand) == "left" ? Hand::left : Hand::right;
      for (const auto& rib : truth[hand]["ribs"]) {
        add(ReadingKind::leadingEdge, rib["rib"], {click(rib["lePixel"])}, h);
        add(ReadingKind::trailingEdge, rib["rib"], {click(rib["tePixel"])}, h);
        if (h == Hand::right) add(ReadingKind::ribThickness, rib["rib"], clicks(rib["thicknessPixels"], 1.5), h);
      }
      for (const auto& place : truth[hand]["spar"]) add(ReadingKind::spar, 1, {click(place["pixel"])}, h);
    }
    for (const auto& t : truth["templates"]) add(ReadingKind::ribTemplate, t["rib"], clicks(t["pixels"]), Hand::right);
  }

  void add(ReadingKind kind, int number, Polyline points, Hand hand) {
    plan.readings.push_back({"", kind, 1, hand, number, std::move(points)});
  }
  Point click(const nlohmann::json& p, double off = 3) {
    std::uniform_real_distribution<double> by(-off, off);
    const Point is(p[0], p[1]), pointed = is + Point(by(random), by(random));
    const auto snapped = snap(image.full(), pointed, off < 2 ? 2.5 : snapReach(25.4 / 150));
    EXPECT_TRUE(snapped.has_value()) << is.transpose();
    const Point got = snapped ? snapped->at : pointed;
    if (off >= 3) worstSnap = std::max(worstSnap, (got - is).norm());
    return got;
  }
  Polyline clicks(const nlohmann::json& points, double off = 3) {
    Polyline out;
    for (const auto& p : points) out.push_back(click(p, off));
    return out;
  }

private:
  std::mt19937 random{20};
};

} // namespace eup::test
