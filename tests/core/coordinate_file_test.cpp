#include "core/described/design_file.h"
#include "core/section/listed_section.h"
#include "core/section/measured.h"
#include "core/section/naca.h"
#include "support.h"
#include <rapidcheck/gtest.h>

namespace eup {
namespace {

/// Points of the 2412, thinned, as one loop from the tail over the top.
std::vector<Point> loopPoints() {
  const Section s = makeNaca(readNaca("2412").value());
  std::vector<Point> out;
  for (std::size_t i = s.upper.size(); i-- > section_grid::noseSteps + 1;)
    if ((s.upper.size() - 1 - i) % 3 == 0) out.push_back(s.upper[i]);
  out.push_back({0, 0});
  for (std::size_t i = section_grid::noseSteps + 1; i < s.lower.size(); ++i)
    if ((s.lower.size() - 1 - i) % 3 == 0) out.push_back(s.lower[i]);
  return out;
}

std::string written(const std::vector<Point>& points, const char* form = "{:.6f} {:.6f}\n", double scale = 1) {
  std::string text = "A made-up section\n";
  for (const Point& p : points) text += fmt::format(fmt::runtime(form), p.x() * scale, p.y() * scale);
  return text;
}

void expectThe2412(const std::string& text, const char* what) {
  const auto read = readCoordinates(text);
  ASSERT_TRUE(read.ok()) << what << ": " << read.problem().text();
  const SectionMeasures m = measure(makeSection(read.value().section));
  EXPECT_NEAR(m.thickness, 0.12, 0.002) << what;
  EXPECT_NEAR(m.camber, 0.02, 0.001) << what;
  EXPECT_NEAR(m.area, 0.0823, 0.001) << what;
}

std::string twoBlocks(bool counts, bool noseInSecond) {
  const auto loop = loopPoints();
  const auto nose = static_cast<std::size_t>(
      std::min_element(loop.begin(), loop.end(), [](const Point& a, const Point& b) { return a.x() < b.x(); }) -
      loop.begin());
  std::vector<Point> upper(loop.begin(), loop.begin() + static_cast<long>(nose) + 1),
      lower(loop.begin() + static_cast<long>(nose) + (noseInSecond ? 0 : 1), loop.end());
  std::reverse(upper.begin(), upper.end());
  std::string text = "Two blocks\n";
  if (counts) text += fmt::format("{}. {}.\n", upper.size(), lower.size());
  text += "\n";
  for (const Point& p : upper) text += fmt::format(" {:.5f}  {:.5f}\n", p.x(), p.y());
  text += "\n";
  for (const Point& p : lower) text += fmt::format(" {:.5f}  {:.5f}\n", p.x(), p.y());
  return text;
}

TEST(CoordinateFile, CopesWithHowListsAreWritten) {
  const auto loop = loopPoints();
  expectThe2412(written(loop), "plain loop");
  expectThe2412(written(loop, "{:.6f}\t{:.6f}\r\n"), "tabs and CRLF");
  expectThe2412(written(loop, "{:.6f}, {:.6f}\r"), "commas and CR");
  expectThe2412(written(loop, "{:.4f} {:.4f}\n", 100), "percent of the chord");
  expectThe2412(written(loop, "{:.3f};{:.3f} # a remark\n", 240), "millimetres, semicolons, remarks");
  expectThe2412("# comment\n! another\n" + written(loop), "comments ahead");
  expectThe2412("\xef\xbb\xbf" + written(loop), "byte order mark");
  std::string decimalCommas = written(loop);
  std::replace(decimalCommas.begin(), decimalCommas.end(), '.', ',');
  expectThe2412(decimalCommas, "decimal commas");
  expectThe2412(twoBlocks(true, true), "two blocks with counts");
  expectThe2412(twoBlocks(false, true), "two blocks without counts");
  expectThe2412(twoBlocks(true, false), "second block without the nose");
}

TEST(CoordinateFile, MendsAndSaysSo) {
  auto loop = loopPoints();
  auto backwards = loop;
  std::reverse(backwards.begin(), backwards.end());
  expectThe2412(written(backwards), "a loop that runs the other way");
  EXPECT_FALSE(readCoordinates(written(backwards)).value().mended.empty());
  auto doubled = loop;
  doubled.insert(doubled.begin() + 5, doubled[5]);
  expectThe2412(written(doubled), "doubled point");
  ASSERT_EQ(readCoordinates(written(doubled)).value().mended.size(), 1u);
  EXPECT_NE(readCoordinates(written(doubled)).value().mended[0].find("line 8"), std::string::npos)
      << readCoordinates(written(doubled)).value().mended[0];
  auto noLast = loop;
  noLast.pop_back();
  expectThe2412(written(noLast), "missing last point");
  auto noFirst = loop;
  noFirst.erase(noFirst.begin());
  expectThe2412(written(noFirst), "missing first point");
  auto turned = loop;
  for (Point& p : turned) p = Placement{0.05, {30, -7}}(p * 150);
  expectThe2412(written(turned), "shifted, turned and scaled");
}

TEST(CoordinateFile, RefusesWithTheLine) {
  const auto refuse = [](const std::string& text, const char* place, const char* what) {
    const auto read = readCoordinates(text);
    ASSERT_FALSE(read.ok()) << what;
    EXPECT_NE(read.problem().text().find(place), std::string::npos) << what << ": " << read.problem().text();
  };
  const auto loop = loopPoints();
  refuse("", "0 points", "empty");
  refuse("only words\nand more words\n", "line 2", "no numbers");
  refuse("a\n0 0\n1 0\n", "2 points", "too few");
  refuse(written(loop) + "0.5 abc\n", fmt::format("line {}", loop.size() + 2).c_str(), "text among numbers");
  refuse(written(loop) + "0.5 0.1 0.2\n", fmt::format("line {}", loop.size() + 2).c_str(), "three numbers");
  const std::string title = written(loop).substr(0, written(loop).find('\n') + 1);
  refuse(title + "7 0.0068\n" + written(loop).substr(title.size()),
         "line 2: this point lies far from the one beside it", "7");
  refuse(written(loop) + "1e300 0\n", fmt::format("line {}", loop.size() + 2).c_str(), "far too large");
  refuse("x\nnan 0\n1 0\n0 0\n1 0\n0.5 0.1\n", "line 2", "not a number");
  auto crossed = loop;
  std::swap(crossed[4], crossed[crossed.size() - 5]);
  refuse(written(crossed), "line", "crosses itself");
  refuse("flat\n0.3 0\n0.3 0.1\n0.3 0.2\n0.3 0.3\n0.3 0.4\n0.3 0.5\n", "chord", "no chord");
  refuse("c\n30. 40.\n0 0\n1 0\n0 0\n0.5 -0.1\n1 0\n", "line 2", "counts that do not match");
  std::string huge = "big\n";
  for (int i = 0; i < 9000; ++i) huge += "0.5 0.1\n";
  refuse(huge, "line", "too many");
}

RC_GTEST_PROP(CoordinateFile, NeverFallsOver, (const std::string& text)) {
  const auto read = readCoordinates(text);
  if (!read) RC_ASSERT(!read.problem().text().empty());
}

/// Digits, points, signs and breaks in any order come nearer to a real file than any text does.
RC_GTEST_PROP(CoordinateFile, NeverFallsOverNumbers, ()) {
  const auto text = *rc::gen::container<std::string>(rc::gen::elementOf(std::string("0011.. -\n\n\t,;e5")));
  const auto read = readCoordinates(text);
  if (read) (void)measure(makeSection(read.value().section));
}

TEST(CoordinateFile, StraightOrSmooth) {
  auto read = readCoordinates(written(loopPoints())).value().section;
  const double smooth = measure(makeSection(read)).area;
  read.smooth = false;
  const double straight = measure(makeSection(read)).area;
  EXPECT_LT(straight, smooth) << "chords cut a convex curve's corners";
  EXPECT_NEAR(straight, smooth, 0.0015);
}

/// A title in ISO 8859-1, and one that would be cut in the middle of a letter: saving them ended the program.
TEST(CoordinateFile, TitlesAreReadAndSavedWhateverTheirLetters) {
  std::string many;
  for (int i = 0; i < 100; ++i) many += "é";
  for (const auto& [title, name] : {std::pair(std::string("Profil d'\xE9t\xE9"), std::string("Profil d'été")),
                                    std::pair(many, many.substr(0, 160))}) {
    std::string text = written(loopPoints());
    text = title + text.substr(text.find('\n'));
    auto read = readCoordinates(text);
    ASSERT_TRUE(read.ok()) << read.problem().text();
    EXPECT_EQ(read.value().section.name, name);
    Design d;
    d.inner().sections.root.kind = SectionKind::listed;
    d.inner().sections.root.listed = read.value().section;
    const auto again = designFromText(designToText(d));
    ASSERT_TRUE(again.ok()) << again.problem().text();
    EXPECT_EQ(again.value().design.inner().sections.root.listed.name, name);
  }
}

/// A digit in the wrong place: still a list of numbers, but no section.
TEST(Coordinates, TyposAreRefusedWithTheirLine) {
  const std::string good = "mine\n1 0\n0.75 0.04\n0.5 0.07\n0.25 0.08\n0.05 0.04\n0 0\n0.05 -0.02\n0.25 -0.03\n"
                           "0.5 -0.02\n0.75 -0.01\n1 0\n";
  ASSERT_TRUE(readCoordinates(good).ok());
  const auto said = [&](const char* from, const char* to) {
    std::string text = good;
    text.replace(text.find(from), std::string(from).size(), to);
    const auto read = readCoordinates(text);
    return read ? std::string("read") : read.problem().text();
  };
  EXPECT_NE(said("0.75 0.04", "8.75 0.04").find("line 3"), std::string::npos) << said("0.75 0.04", "8.75 0.04");
  EXPECT_NE(said("0.25 -0.03", "-001 -0.03"), "read");
  EXPECT_NE(said("0.5 0.07", "0.5 0.7").find("line 4"), std::string::npos) << said("0.5 0.07", "0.5 0.7");
}

} // namespace
} // namespace eup
