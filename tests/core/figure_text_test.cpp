#include "core/measure/figure.h"
#include "core/measure/finding.h"
#include <gtest/gtest.h>

namespace eup {
namespace {

struct Told {
  double value;
  Quantity quantity;
  const char *metric, *imperial;
};

class FigureText : public testing::TestWithParam<Told> {};
TEST_P(FigureText, IsToldInBothUnits) {
  const Told& t = GetParam();
  EXPECT_EQ(told(t.value, t.quantity, LengthUnit::mm), t.metric);
  EXPECT_EQ(told(t.value, t.quantity, LengthUnit::inch), t.imperial);
}
INSTANTIATE_TEST_SUITE_P(
    Quantities, FigureText,
    testing::Values(
        Told{50.8, Quantity::length, "50.80 mm", "2\""}, Told{254, Quantity::length, "254.0 mm", "10\""},
        Told{degToRad(2.5), Quantity::angle, "2.50°", "2.50°"}, Told{645.16, Quantity::area, "6.45 cm²", "1.00 in²"},
        Told{307500, Quantity::area, "30.75 dm²", "476.63 in²"}, Told{39.717, Quantity::force, "39.7 N", "39.7 N"},
        Told{0.0471, Quantity::force, "0.047 N", "0.047 N"}, Told{1.93, Quantity::moment, "1.9 N·mm", "1.9 N·mm"},
        Told{0.042, Quantity::mass, "0.042 g", "0.00 oz"}, Told{13223, Quantity::moment, "13223 N·mm", "13223 N·mm"},
        Told{44.42, Quantity::stress, "44.4 MPa", "44.4 MPa"},
        Told{61430000, Quantity::stiffness, "61.4 N·m²", "61.4 N·m²"}, Told{1.5, Quantity::ratio, "1.50", "1.50"},
        Told{0.302, Quantity::percent, "30.2%", "30.2%"}, Told{28.349523125, Quantity::mass, "28.3 g", "1.00 oz"},
        Told{50, Quantity::loading, "50.0 g/dm²", "16.4 oz/ft²"}, Told{1.565, Quantity::flow, "1.56 N/mm", "1.56 N/mm"},
        Told{54000, Quantity::torsion, "54000 mm⁴", "54000 mm⁴"}, Told{13, Quantity::count, "13", "13"}));

TEST(FigureText, ReportUnits) {
  EXPECT_STREQ(unitName(Quantity::angle), "deg");
  EXPECT_NEAR(inReportUnit(degToRad(3), Quantity::angle), 3, 1e-12);
  EXPECT_NEAR(inReportUnit(0.25, Quantity::percent), 25, 1e-12);
  EXPECT_EQ(inReportUnit(7, Quantity::length), 7);
  for (int q = 0; q <= static_cast<int>(Quantity::count); ++q) EXPECT_STRNE(unitName(static_cast<Quantity>(q)), "");
}

TEST(FigureText, StagesAndSeveritiesHaveNames) {
  for (Stage s : {Stage::plan, Stage::sections, Stage::panels, Stage::ribs, Stage::spars, Stage::joins})
    EXPECT_STRNE(name(s), "");
  EXPECT_STREQ(name(Severity::serious), "serious");
}

} // namespace
} // namespace eup
