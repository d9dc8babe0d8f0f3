#include "core/measure/length_text.h"
#include <gtest/gtest.h>
#include <rapidcheck/gtest.h>

namespace eup {
namespace {

struct Written {
  const char* text;
  double mm;
};

// Ways of writing that are common practice on plans and in kit lists.
class LengthAsWritten : public testing::TestWithParam<Written> {};
TEST_P(LengthAsWritten, IsRead) {
  const auto mm = parseLength(GetParam().text, LengthUnit::mm);
  ASSERT_TRUE(mm.ok()) << mm.problem().text();
  EXPECT_NEAR(mm.value(), GetParam().mm, 1e-9);
}
INSTANTIATE_TEST_SUITE_P(Plans, LengthAsWritten,
                         testing::Values(Written{"3/32", 2.38125}, Written{"3/32\"", 2.38125},
                                         Written{"1 1/2 in", 38.1}, Written{"1-1/2\"", 38.1}, Written{"36\"", 914.4},
                                         Written{"3'", 914.4}, Written{"2' 6 1/2\"", 774.7}, Written{"2'6\"", 762},
                                         Written{"2 ft 6 in", 762}, Written{"2'-6\"", 762}, Written{"48", 48},
                                         Written{"48 mm", 48}, Written{"4,5 cm", 45}, Written{".040", 0.04},
                                         Written{".040\"", 1.016}, Written{"12.7mm", 12.7}, Written{"0.5 m", 500},
                                         Written{"-12", -12}, Written{"−12 mm", -12}, Written{"+3", 3},
                                         Written{"½\"", 12.7}, Written{"1½″", 38.1}, Written{"  7 ", 7},
                                         Written{"6 inches", 152.4}, Written{"1 INCH", 25.4}, Written{"0,500", 0.5},
                                         Written{"1e2", 100}));

TEST(LengthText, BareNumberTakesTheDocumentsUnit) {
  EXPECT_NEAR(parseLength("2", LengthUnit::inch).value(), 50.8, 1e-9);
  EXPECT_NEAR(parseLength(".040", LengthUnit::inch).value(), 1.016, 1e-9);
  EXPECT_NEAR(parseLength("48 mm", LengthUnit::inch).value(), 48, 1e-9);
}

class NoLength : public testing::TestWithParam<const char*> {};
TEST_P(NoLength, IsRefusedWithWhatWasTyped) {
  const auto mm = parseLength(GetParam(), LengthUnit::mm);
  ASSERT_FALSE(mm.ok()) << mm.value();
  const std::string typed = GetParam();
  if (typed.find_first_not_of(' ') != std::string::npos) {
    EXPECT_NE(mm.problem().cause.find(typed), std::string::npos) << mm.problem().cause;
  }
}
INSTANTIATE_TEST_SUITE_P(Rubbish, NoLength,
                         testing::Values("", "   ", "abc", "1/0", "NaN", "inf", "1//2", "1/", "/2", "12 13",
                                         "3 1/2 1/2", "1,500", "1.2.3", "12 furlongs", "mm", "--3", "1-2",
                                         "2' 6 1/2\" 3", "5 mm mm", "1e999", "0x10", "1.5/2", "3/2.5", "'", "2 cm 3"));

RC_GTEST_PROP(LengthText, WhatIsShownInInchesIsReadToAThousandth, ()) {
  const double mm = *rc::gen::inRange(-500000, 500000) / 1000.0;
  const auto again = parseLength(formatLength(mm, LengthUnit::inch), LengthUnit::inch);
  RC_ASSERT(again.ok());
  RC_ASSERT(std::abs(again.value() - mm) < 0.0005 * 25.4 + 1e-9);
}

TEST(LengthText, IsWrittenInTheDocumentsUnit) {
  EXPECT_EQ(formatLength(216.653, LengthUnit::mm), "216.65");
  EXPECT_EQ(formatLength(48, LengthUnit::mm), "48");
  EXPECT_EQ(formatLength(-0.0001, LengthUnit::mm), "0");
  EXPECT_EQ(formatLength(38.1, LengthUnit::inch), "1 1/2\"");
  EXPECT_EQ(formatLength(2.38125, LengthUnit::inch), "3/32\"");
  EXPECT_EQ(formatLength(25.4, LengthUnit::inch), "1\"");
  EXPECT_EQ(formatLength(0, LengthUnit::inch), "0\"");
  EXPECT_EQ(formatLength(25.4 * (1 + 31.0 / 64) + 0.1016, LengthUnit::inch), "1 31/64\" +.004");
  EXPECT_EQ(formatLength(-38.1, LengthUnit::inch), "−1 1/2\"");
}

RC_GTEST_PROP(LengthText, AnyTextIsReadRightOrRefused, (const std::string& text)) {
  const auto mm = parseLength(text, LengthUnit::mm);
  if (mm)
    RC_ASSERT(std::isfinite(mm.value()));
  else
    RC_ASSERT(!mm.problem().cause.empty());
}

RC_GTEST_PROP(LengthText, FractionsOfAnInchComeBack, ()) {
  const int whole = *rc::gen::inRange(0, 99), above = *rc::gen::inRange(1, 64),
            below = *rc::gen::element(2, 4, 8, 16, 32, 64);
  const double inches = whole + static_cast<double>(above) / below;
  const std::string gap = *rc::gen::element<std::string>(" ", "-"),
                    unit = *rc::gen::element<std::string>("\"", " in", "");
  const std::string text = whole > 0 ? fmt::format("{}{}{}/{}{}", whole, gap, above, below, unit)
                                     : fmt::format("{}/{}{}", above, below, unit);
  const auto mm = parseLength(text, LengthUnit::mm);
  RC_ASSERT(mm.ok());
  RC_ASSERT(std::abs(mm.value() - inches * 25.4) < 1e-9);
  // What is shown of it is read as the same length.
  RC_ASSERT(std::abs(parseLength(formatLength(mm.value(), LengthUnit::inch), LengthUnit::inch).value() - mm.value()) <
            1e-9);
}

RC_GTEST_PROP(LengthText, MillimetresComeBack, ()) {
  const double mm = *rc::gen::inRange(-5000000, 5000000) / 1000.0;
  RC_ASSERT(std::abs(parseLength(formatLength(mm, LengthUnit::mm, 3), LengthUnit::mm).value() - mm) < 1e-9);
}

TEST(NumberText, IsReadOrRefused) {
  EXPECT_NEAR(parseNumber("6,5").value(), 6.5, 1e-12);
  EXPECT_NEAR(parseNumber("30 %").value(), 30, 1e-12);
  EXPECT_NEAR(parseNumber("2.5°").value(), 2.5, 1e-12);
  EXPECT_NEAR(parseNumber("1/4").value(), 0.25, 1e-12);
  EXPECT_FALSE(parseNumber("").ok());
  EXPECT_FALSE(parseNumber("two").ok());
  EXPECT_FALSE(parseNumber("nan").ok());
}

TEST(Units, AreTheExactOnes) {
  // International yard and pound agreement (1959): 25.4 mm, 453.59237 g.
  EXPECT_DOUBLE_EQ(gramsPerOunce * 16, gramsPerPound);
  EXPECT_NEAR(gsmPerOuncePerYard2, gramsPerOunce / (0.9144 * 0.9144), 1e-6);
  EXPECT_NEAR(kgm3PerPoundPerFoot3, gramsPerPound / 1000 / std::pow(0.3048, 3), 1e-6);
}

} // namespace
} // namespace eup
