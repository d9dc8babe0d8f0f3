#include "chance.h"
#include "core/drawing/drawing.h"
#include "core/exchange/dxf_writer.h"
#include "core/exchange/pdf_writer.h"
#include "core/exchange/svg_writer.h"
#include "core/files/bytes.h"
#include "core/files/text_file.h"
#include "core/plan/ink.h"
#include "core/plan/plan_image.h"
#include "core/plan/reading_apart.h"
#include "endless_plan.h"
#include "places.h"
#include "support.h"
#include <array>
#include <chrono>
#include <Eigen/LU>
#include <random>
#include <sys/stat.h>
#include <unistd.h>

namespace eup {
namespace {

std::vector<std::filesystem::path> samples() {
  std::vector<std::filesystem::path> out;
  for (const auto& entry : std::filesystem::directory_iterator(test::testFile("plans"))) out.push_back(entry.path());
  std::sort(out.begin(), out.end());
  return out;
}

std::string nameOfSample(const testing::TestParamInfo<std::filesystem::path>& info) {
  std::string name = info.param.filename().string();
  for (char& c : name)
    if (!std::isalnum(static_cast<unsigned char>(c))) c = '_';
  return name;
}

class PixelFile : public testing::TestWithParam<std::filesystem::path> {};
TEST_P(PixelFile, ShowsItsCrossWhereItIs) {
  const auto opened = openPlanImage(GetParam());
  if (GetParam().filename() == "CMYK.jpg") { // the library gives no grey for four inks
    EXPECT_FALSE(opened.ok());
    return;
  }
  ASSERT_TRUE(opened.ok()) << opened.problem().text();
  const PlanImage& image = opened.value();
  EXPECT_EQ(image.full().width, 120);
  EXPECT_EQ(image.full().height, 80);
  EXPECT_NEAR(image.dpi, 200, 0.5);
  const auto at = snap(image.full(), {43, 27}, 8);
  ASSERT_TRUE(at.has_value());
  EXPECT_EQ(at->to, SnapTo::crossing);
  EXPECT_NEAR(at->at.x(), 40, 0.15);
  EXPECT_NEAR(at->at.y(), 30, 0.15);
}
INSTANTIATE_TEST_SUITE_P(Samples, PixelFile, testing::ValuesIn(samples()), nameOfSample);

TEST(PlanImage, PagesOfATiffAreChosen) {
  EXPECT_EQ(openPlanImage(test::testFile("plans/two-pages.tif")).value().pages, 2);
  EXPECT_EQ(openPlanImage(test::testFile("plans/two-pages.tif"), {2, 150}).value().full().width, 60);
  EXPECT_NE(openPlanImage(test::testFile("plans/two-pages.tif"), {3, 150}).problem().text().find("no page 3"),
            std::string::npos);
}

/// A square of 80 mm with a diagonal, as our own writers write it.
Drawing square() {
  Drawing d;
  d.title = "Square";
  d.wing = "test";
  d.loop(Layer::cut, {{0, 0}, {80, 0}, {80, 80}, {0, 80}});
  d.line(Layer::mark, {0, 0}, {80, 80});
  return d;
}

/// Two corners of the square found in the ink, from about where they must be; the distance between them, mm.
double sideIn(const PlanImage& image, const Point& lowerLeft) {
  const double px = image.dpi / 25.4;
  const auto a = snap(image.full(), lowerLeft, 10), b = snap(image.full(), lowerLeft + Point(80 * px, 0), 10);
  EXPECT_TRUE(a && b);
  return a && b ? (b->at - a->at).norm() / px : 0;
}

TEST(PlanImage, OfADxfIsTrueToScale) {
  test::ScratchFolder folder;
  ASSERT_TRUE(writeFileAtomically(folder.path / "a.dxf", toDxf(square()).value()).ok());
  const PlanImage image = openPlanImage(folder.path / "a.dxf").value();
  EXPECT_NEAR(image.dpi, 150, 1e-9);
  EXPECT_NEAR(sideIn(image, Point(5, 85) * 150 / 25.4), 80, 0.05);
}

TEST(PlanImage, OfAnSvgIsTrueToScale) {
  test::ScratchFolder folder;
  ASSERT_TRUE(writeFileAtomically(
                  folder.path / "a.svg",
                  "<svg xmlns='http://www.w3.org/2000/svg' width='100mm' height='100mm' viewBox='0 0 100 100'>"
                  "<path d='M10 10H90V90H10Z M10 90L90 10' fill='none' stroke='black' stroke-width='0.3'/></svg>")
                  .ok());
  const PlanImage image = openPlanImage(folder.path / "a.svg", {1, 300}).value();
  EXPECT_NEAR(image.dpi, 300, 1e-9);
  EXPECT_NEAR(sideIn(image, Point(10, 90) * 300 / 25.4), 80, 0.05);
}

TEST(PlanImage, OfAPdfPageIsTrueToScale) {
  test::ScratchFolder folder;
  ASSERT_TRUE(writeFileAtomically(folder.path / "a.pdf", toPdf(std::vector{square()}, Paper::a4, false).value()).ok());
  const auto first = openPlanImage(folder.path / "a.pdf");
  ASSERT_TRUE(first.ok()) << first.problem().text();
  EXPECT_EQ(first.value().pages, 2); // the key page, and the square
  EXPECT_NEAR(first.value().full().width, 210 / 25.4 * 150, 2);
  const PlanImage page = openPlanImage(folder.path / "a.pdf", {2, 200}).value();
  EXPECT_NEAR(page.full().height, 297 / 25.4 * 200, 2);
  EXPECT_LT(*std::min_element(page.full().grey.begin(), page.full().grey.end()), 100);
  EXPECT_FALSE(openPlanImage(folder.path / "a.pdf", {7, 200}).ok());
}

TEST(PlanImage, OfADxfHandWrittenHasItsArcsPolylinesAndBlocks) {
  test::ScratchFolder folder;
  const char* dxf = "0\nSECTION\n2\nHEADER\n9\n$INSUNITS\n70\n1\n0\nENDSEC\n0\nSECTION\n2\nENTITIES\n"
                    "0\nLINE\n8\n0\n10\n0\n20\n0\n11\n2\n21\n0\n"
                    "0\nCIRCLE\n8\n0\n10\n1\n20\n1\n40\n0.5\n"
                    "0\nARC\n8\n0\n10\n1\n20\n1\n40\n1\n50\n0\n51\n90\n"
                    "0\nLWPOLYLINE\n8\n0\n90\n3\n70\n1\n10\n0\n20\n0\n10\n2\n20\n0\n42\n0.5\n10\n2\n20\n2\n"
                    "0\nENDSEC\n0\nEOF\n";
  ASSERT_TRUE(writeFileAtomically(folder.path / "a.dxf", dxf).ok());
  const auto image = openPlanImage(folder.path / "a.dxf");
  ASSERT_TRUE(image.ok()) << image.problem().text();
  EXPECT_NEAR(image.value().full().width, (2.5 * 25.4 + 10) / 25.4 * 150, 20); // inches; the bulge stands out
}

TEST(PlanImage, SaysWhatIsWrong) {
  test::ScratchFolder folder;
  const auto said = [&](const char* name, std::string_view bytes) {
    const auto path = folder.path / name;
    EXPECT_TRUE(writeFileAtomically(path, bytes).ok());
    const auto opened = openPlanImage(path);
    return opened ? std::string("opened") : opened.problem().text();
  };
  EXPECT_NE(said("a.png", "").find("empty"), std::string::npos);
  EXPECT_NE(said("a.txt", "hello").find("no plan"), std::string::npos);
  EXPECT_NE(said("b.png", "\x89PNG\r\n\x1a\n rubbish").find("PNG"), std::string::npos);
  EXPECT_NE(said("b.jpg", "\xff\xd8\xff\xe0 rubbish").find("JPEG"), std::string::npos);
  EXPECT_NE(said("b.tif", std::string_view("II*\0rubbish", 11)).find("TIFF"), std::string::npos);
  EXPECT_NE(said("b.pdf", "%PDF-1.4 rubbish").find("PDF"), std::string::npos);
  EXPECT_NE(said("b.svg", "<svg rubbish").find("SVG"), std::string::npos);
  EXPECT_NE(said("b.dxf", "0\nSECTION\nnot a code\n").find("line 3"), std::string::npos);
  EXPECT_NE(openPlanImage(folder.path / "none").problem().text().find("not there"), std::string::npos);
  EXPECT_NE(openPlanImage(folder.path).problem().text().find("folder"), std::string::npos);
}

TEST(PlanImage, ReadingCanBeStopped) {
  for (const char* file : {"/plans/L.png", "/plans/L.jpg", "/plans/1-group4.tif", "/plans/CMYK-plain.tif"}) {
    const auto opened = openPlanImage(test::testFile(file), {}, [](double) { return false; });
    ASSERT_FALSE(opened.ok()) << file;
    EXPECT_NE(opened.problem().text().find("stopped"), std::string::npos);
  }
}

// Hundreds of damaged files from a fixed seed: each is opened or refused with a reason, and nothing worse.
TEST(DamagedPlans, NeverCrashAndAlwaysSayWhy) {
  test::ScratchFolder folder;
  std::vector<std::string> seeds;
  for (const auto& path : samples()) seeds.push_back(test::slurp(path));
  seeds.push_back(toPdf(std::vector{square()}, Paper::a4, false).value());
  seeds.push_back(toDxf(square()).value());
  seeds.push_back(toSvg(square()));
  std::mt19937 random(static_cast<unsigned>(test::asked("EUPTERA_FUZZ_FROM", 7)));
  const auto pick = [&](std::size_t n) { return std::uniform_int_distribution<std::size_t>(0, n - 1)(random); };
  int opened = 0, refused = 0;
  const int rounds = test::asked("EUPTERA_FUZZ", 0) / static_cast<int>(seeds.size()) + 12;
  for (int round = 0; round < rounds; ++round)
    for (const std::string& seed : seeds) {
      std::string bytes = seed;
      if (round % 4 == 0) bytes.resize(pick(bytes.size()) + 1);
      if (round % 4 == 3) bytes.insert(pick(bytes.size()), std::string(1 + pick(40), static_cast<char>(pick(256))));
      for (std::size_t k = 0, n = round % 4 == 1 ? 1 : 1 + pick(20); k < n; ++k)
        bytes[pick(bytes.size())] = static_cast<char>(pick(256));
      ASSERT_TRUE(writeFileAtomically(folder.path / "damaged", bytes).ok());
      const auto result = openPlanImage(folder.path / "damaged", {1, 50});
      if (result) {
        ++opened;
      } else {
        ++refused;
        EXPECT_FALSE(result.problem().cause.empty());
        EXPECT_NE(result.problem().text().find("damaged"), std::string::npos); // the file's name, at the least
      }
    }
  EXPECT_GT(refused, 60);
  EXPECT_GT(opened, 30);
}

Raster blank(int w, int h) {
  Raster r;
  r.width = w, r.height = h;
  r.grey.assign(static_cast<std::size_t>(w) * static_cast<std::size_t>(h), 255);
  return r;
}

/// A line drawn by its true distance, as a scanner sees it, with grain.
void ruled(Raster& r, const Point& through, double angle, double width, double grain, unsigned seed) {
  std::mt19937 random(seed);
  std::normal_distribution<double> noise(0, 1);
  const Point square(-std::sin(angle), std::cos(angle));
  for (int y = 0; y < r.height; ++y)
    for (int x = 0; x < r.width; ++x) {
      const double d = std::abs((Point(x, y) - through).dot(square));
      const double v = 255 * (1 - std::clamp(width / 2 + 0.5 - d, 0.0, 1.0)) + grain * noise(random);
      r.row(y)[x] = static_cast<std::uint8_t>(std::clamp(std::min(v, static_cast<double>(r.row(y)[x])), 0.0, 255.0));
    }
}

TEST(Snap, FindsTheMiddleOfALineWithinATwentiethOfAPixel) {
  for (double angle : {0.0, 0.03, 0.5, 0.8, 1.5, 2.2}) {
    Raster r = blank(120, 120);
    ruled(r, {60.3, 59.6}, angle, 2.3, 0, 1);
    const Point square(-std::sin(angle), std::cos(angle));
    const auto s = snap(r, Point(60.3, 59.6) + square * 4 + Point(std::cos(angle), std::sin(angle)) * 3, 7);
    ASSERT_TRUE(s.has_value()) << angle;
    EXPECT_EQ(s->to, SnapTo::line);
    EXPECT_NEAR((s->at - Point(60.3, 59.6)).dot(square), 0, 0.05) << angle;
  }
}

TEST(Snap, FindsACrossingInAGrainyScan) {
  double worst = 0;
  for (unsigned seed = 1; seed <= 20; ++seed) {
    Raster r = blank(120, 120);
    std::mt19937 random(seed);
    std::uniform_real_distribution<double> by(-0.5, 0.5);
    const Point at(60 + by(random), 60 + by(random));
    ruled(r, at, 0.02 + by(random) / 5, 2.1, 10, seed);
    ruled(r, at, 1.55 + by(random) / 5, 1.8, 10, seed + 100);
    const auto s = snap(r, at + 6 * Point(by(random), by(random)), 7);
    ASSERT_TRUE(s.has_value());
    EXPECT_EQ(s->to, SnapTo::crossing) << seed;
    worst = std::max(worst, (s->at - at).norm());
  }
  EXPECT_LT(worst, 0.25);
}

TEST(Snap, FindsNothingOnBlankOrOffPaper) {
  const Raster r = blank(50, 50);
  EXPECT_FALSE(snap(r, {25, 25}, 6).has_value());
  EXPECT_FALSE(snap(r, {-500, 900}, 6).has_value());
  EXPECT_FALSE(snap(r, {NAN, 1}, 6).has_value());
}

TEST(DrawView, ShowsEveryLevelInPlace) {
  Raster r = blank(2000, 1500);
  ruled(r, {1000, 750}, 0, 6, 0, 1);
  const PlanImage image = withHalves(std::move(r));
  EXPECT_GE(image.levels.size(), 3u);
  for (double zoom : {0.5, 1.0, 2.0, 3.0, 4.0, 7.0}) {
    Eigen::Matrix3d map = Eigen::Matrix3d::Identity();
    map(0, 0) = map(1, 1) = zoom;
    map(0, 2) = 1000 - 50 * zoom, map(1, 2) = 750 - 40 * zoom;
    std::vector<std::uint8_t> grey(100 * 80, 255);
    drawView(image, map, 100, 80, grey.data(), 100);
    double sum = 0, at = 0; // the line's middle must stay in row 40
    for (int y = 0; y < 80; ++y)
      sum += 255 - grey[static_cast<std::size_t>(y) * 100 + 50],
          at += y * (255.0 - grey[static_cast<std::size_t>(y) * 100 + 50]);
    ASSERT_GT(sum, 50) << zoom;
    EXPECT_NEAR(at / sum, 40, 0.2) << zoom;
  }
}

TEST(DrawView, FollowsAPerspective) {
  Raster r = blank(300, 300);
  r.row(120)[150] = 0;
  const PlanImage image = withHalves(std::move(r));
  Eigen::Matrix3d plan;
  plan << 0.9, 0.1, 3, -0.05, 1.1, 7, 0.0004, 0.0002, 1; // plan pixel → view
  const Point want = (plan * Point(150, 120).homogeneous()).hnormalized();
  std::vector<std::uint8_t> grey(300 * 300, 255);
  drawView(image, plan.inverse(), 300, 300, grey.data(), 300);
  const auto darkest = std::min_element(grey.begin(), grey.end()) - grey.begin();
  EXPECT_NEAR(static_cast<double>(darkest % 300), want.x(), 1);
  EXPECT_NEAR(static_cast<double>(darkest / 300), want.y(), 1);
}

// RFC 4648, section 10; FIPS 180-4 example "abc".
/// Files that are made to keep a reader busy, or to take all memory, are refused at once and by name.
TEST(HostilePlans, AreRefusedAtOnce) {
  const test::ScratchFolder folder;
  const auto said = [&](const char* name, const std::string& bytes) {
    const auto path = folder.path / name;
    EXPECT_TRUE(writeFileAtomically(path, bytes).ok());
    const auto begun = std::chrono::steady_clock::now();
    const auto read = openPlanImage(path, {}, {});
    EXPECT_LT(std::chrono::duration<double>(std::chrono::steady_clock::now() - begun).count(), 20) << name;
    return read ? std::string("read") : read.problem().text();
  };
  // A picture of many passes is held whole before its first row: 30 000 pixels a side in a hundred bytes.
  const auto jpeg = [](int side) {
    const std::string length{static_cast<char>(side >> 8), static_cast<char>(side & 0xFF)};
    return "\xFF\xD8\xFF\xC2" + std::string("\0\x11\x08", 3) + length + length +
           std::string("\x03\x01\x11\0\x02\x11\0\x03\x11\0", 10) +
           std::string("\xFF\xDA\0\x0C\x03\x01\0\x02\0\x03\0\0\0\0", 14) + std::string(40, '\0') + "\xFF\xD9";
  };
  EXPECT_NE(said("passes.jpg", jpeg(15000)).find("many passes"), std::string::npos) << said("passes.jpg", jpeg(15000));
  EXPECT_NE(said("huge.jpg", jpeg(30000)).find("pixels"), std::string::npos) << said("huge.jpg", jpeg(30000));
  // Ten of ten of ten … of one line.
  std::string bomb =
      R"(<svg xmlns="http://www.w3.org/2000/svg" width="200mm" height="100mm"><defs><path id="u0" d="M0 0 L9 9"/>)";
  for (int i = 1; i < 10; ++i) {
    bomb += "<g id=\"u" + std::to_string(i) + "\">";
    for (int k = 0; k < 10; ++k) bomb += "<use href=\"#u" + std::to_string(i - 1) + "\"/>";
    bomb += "</g>";
  }
  EXPECT_NE(said("again.svg", bomb + R"(</defs><use href="#u9"/></svg>)").find("again so often"), std::string::npos);
  EXPECT_EQ(
      said("circle.svg",
           R"(<svg xmlns="http://www.w3.org/2000/svg" width="9mm" height="9mm"><g id="a"><use href="#a"/></g></svg>)")
          .find("again so often"),
      std::string::npos)
      << "one that uses itself is told of by the library, if at all";
  std::string deep = R"(<svg xmlns="http://www.w3.org/2000/svg" width="9mm" height="9mm">)";
  for (int i = 0; i < 100'000; ++i) deep += "<g>";
  EXPECT_NE(said("deep.svg", deep), "read");
  // A filter is not drawn, what it is of is.
  const auto path = folder.path / "filter.svg";
  ASSERT_TRUE(writeFileAtomically(
                  path, R"(<svg xmlns="http://www.w3.org/2000/svg" width="400mm" height="400mm" viewBox="0 0 9 9">)"
                        R"(<filter id="f"><feTurbulence numOctaves="20" baseFrequency="0.9"/></filter>)"
                        R"x(<rect width="5" height="5" style="filter:url(#f)"/></svg>)x")
                  .ok());
  const auto plain = openPlanImage(path, {}, {});
  ASSERT_TRUE(plain.ok()) << plain.problem().text();
  EXPECT_EQ(plain.value().notes, std::vector<std::string>{"the SVG's filters are left out"});
  EXPECT_LT(plain.value().levels.front().row(20)[20], 40) << "the rectangle is there";
  // Blocks that hold each other twice, thirty deep.
  std::string dxf =
      "0\nSECTION\n2\nBLOCKS\n0\nBLOCK\n2\nB0\n10\n0\n20\n0\n0\nLINE\n10\n0\n20\n0\n11\n5\n21\n5\n0\nENDBLK\n";
  for (int i = 1; i < 40; ++i) {
    dxf += "0\nBLOCK\n2\nB" + std::to_string(i) + "\n10\n0\n20\n0\n";
    for (int k = 0; k < 2; ++k) dxf += "0\nINSERT\n2\nB" + std::to_string(i - 1) + "\n10\n1\n20\n1\n";
    dxf += "0\nENDBLK\n";
  }
  dxf += "0\nENDSEC\n0\nSECTION\n2\nENTITIES\n0\nINSERT\n2\nB39\n10\n0\n20\n0\n0\nENDSEC\n0\nEOF\n";
  EXPECT_NE(said("blocks.dxf", dxf).find("four million"), std::string::npos);
  const auto pipe = folder.path / "pipe";
  ASSERT_EQ(mkfifo(pipe.c_str(), 0600), 0);
  for (const std::filesystem::path& endless : {pipe, std::filesystem::path("/dev/zero")})
    EXPECT_NE(openPlanImage(endless, {}, {}).problem().text().find("device or a pipe"), std::string::npos);
}

/// What draws plans is a program apart: it is ended when nothing comes of it, and at once when it is told to stop.
TEST(HostilePlans, ADrawingWithoutEndIsEnded) {
  const test::ScratchFolder folder;
  const auto few = folder.path / "few.pdf", endless = folder.path / "endless.pdf";
  ASSERT_TRUE(writeFileAtomically(few, test::formsOfForms(1)).ok());
  ASSERT_TRUE(writeFileAtomically(endless, test::formsOfForms(10)).ok());
  const auto small = openPlanImage(few);
  ASSERT_TRUE(small.ok()) << small.problem().text();
  EXPECT_LT(*std::min_element(small.value().full().grey.begin(), small.value().full().grey.end()), 100) << "drawn";
  OpenOrder order;
  order.patience = std::chrono::seconds(1);
  const auto givenUp = openPlanImage(endless, order);
  ASSERT_FALSE(givenUp.ok());
  EXPECT_EQ(givenUp.problem().text(), "endless.pdf: drawing it was given up: nothing came of it within 1 s");
  int asked = 0;
  const auto begun = std::chrono::steady_clock::now();
  const auto stopped = openPlanImage(endless, {}, [&](double) { return ++asked < 5; });
  EXPECT_LT(std::chrono::duration<double>(std::chrono::steady_clock::now() - begun).count(), 20);
  ASSERT_FALSE(stopped.ok());
  EXPECT_NE(stopped.problem().text().find("stopped"), std::string::npos);
}

/// Its words, with nothing to draw: how far it is, then the picture or the fault.
TEST(HostilePlans, WhatDrawsPlansSaysWhatItTakes) {
  const auto drawn = [](const std::vector<const char*>& words) {
    std::array<int, 2> ends{};
    EXPECT_EQ(pipe(ends.data()), 0);
    const int code =
        image_readers::answerApart(static_cast<int>(words.size()), words.data(), ends[1],
                                   [](image_readers::Drawn, const std::filesystem::path&, const OpenOrder& order,
                                      const Progress& progress) -> Result<image_readers::Picture> {
                                     if (!progress(0.5)) return Problem{"", "nobody listens"};
                                     if (order.page == 2) return Problem{"", "no such page"};
                                     image_readers::Picture picture;
                                     picture.raster = image_readers::paper(2, 1).value();
                                     picture.raster.grey = {65, 66};
                                     picture.dpi = order.vectorDpi;
                                     return picture;
                                   });
    close(ends[1]);
    std::string text(4096, '\0');
    text.resize(static_cast<std::size_t>(std::max<ssize_t>(0, read(ends[0], text.data(), text.size()))));
    close(ends[0]);
    return std::pair(code, text);
  };
  const auto good = drawn({"reader", "pdf", "a", "1", "96"});
  EXPECT_EQ(good.first, 0);
  EXPECT_EQ(good.second, "{\"share\":0.5}\n{\"dpi\":96.0,\"height\":1,\"notes\":[],\"pages\":1,\"width\":2}\nAB");
  EXPECT_EQ(drawn({"reader", "pdf", "a", "2", "96"}).second, "{\"share\":0.5}\n{\"fault\":\"no such page\"}\n");
  for (const std::vector<const char*>& odd :
       {std::vector<const char*>{"reader"}, {"reader", "png", "a", "1", "96"}, {"reader", "pdf", "a", "1", "nan"}}) {
    EXPECT_EQ(drawn(odd).first, 2);
    EXPECT_EQ(drawn(odd).second, "");
  }
}

TEST(Bytes, MatchTheirPublishedExamples) {
  EXPECT_EQ(toBase64("foobar"), "Zm9vYmFy");
  EXPECT_EQ(toBase64("fooba"), "Zm9vYmE=");
  EXPECT_EQ(toBase64("f"), "Zg==");
  EXPECT_EQ(fromBase64("Zm9vYg=="), "foob");
  EXPECT_EQ(fromBase64(""), "");
  for (const char* bad : {"Zg=", "Z===", "Zm9v!mFy", "Zg==Zg=="}) EXPECT_FALSE(fromBase64(bad).has_value()) << bad;
  EXPECT_EQ(sha256("abc"), "ba7816bf8f01cfea414140de5dae2223b00361a396177a9cb410ff61f20015ad");
  test::ScratchFolder folder;
  ASSERT_TRUE(writeFileAtomically(folder.path / "abc", "abc").ok());
  EXPECT_EQ(sha256OfFile(folder.path / "abc").value(), sha256("abc"));
  EXPECT_FALSE(sha256OfFile(folder.path / "none").ok());
  EXPECT_FALSE(sha256OfFile(folder.path).ok());
}

} // namespace
} // namespace eup
