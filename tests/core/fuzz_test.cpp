// Random decisions, several at once, taken from the description so that new ones are in it by themselves: whatever is
// within limits can be worked out or is explained, can be told, printed, saved and read again. A fixed number here;
// EUPTERA_FUZZ=20000 for any number by hand, EUPTERA_FUZZ_FROM for another seed.
#include "chance.h"
#include "core/described/decisions.h"
#include "core/described/design_file.h"
#include "core/described/limits_check.h"
#include "core/design/lasting.h"
#include "core/drawing/paging.h"
#include "core/edit/panel_edit.h"
#include "core/edit/wing_edit.h"
#include "core/exchange/report.h"
#include "core/files/shipped.h"
#include "core/files/text_file.h"
#include "core/section/naca.h"
#include "core/takeaway/take_away.h"
#include "support.h"
#include <chrono>
#include <cstdlib>
#include <set>

namespace eup {
namespace {

using test::Chance;

std::string listOf(Chance& chance, bool whole, double most) {
  std::string out;
  for (int i = chance.number(9); i >= 0; --i) {
    const double x = chance.share() * most;
    out += (out.empty() ? "" : "; ") + (whole ? std::to_string(1 + static_cast<int>(x)) : std::to_string(x));
  }
  return out;
}

/// One decision changed, as it might be typed or dragged.
Design changed(const Design& d, Chance& chance) {
  const std::vector<Decision> all = decisionsOf(d);
  const Decision& one = all[static_cast<std::size_t>(chance.number(static_cast<int>(all.size())))];
  const auto typed = [&](const std::string& text) {
    const auto next = decide(d, one.path, text);
    return next ? next.value() : d; // refused with its reason: nothing changes
  };
  switch (one.kind) {
  case DecisionKind::choice:
    return one.choices.empty()
               ? d
               : typed(
                     one.choices[static_cast<std::size_t>(chance.number(static_cast<int>(one.choices.size())))].first);
  case DecisionKind::flag:
    return typed(chance.once(2) ? "yes" : "no");
  case DecisionKind::text:
    return typed(chance.once(2) ? "24" + std::to_string(10 + chance.number(15)) : "N\\ \"[1,\n\xC3\xBC");
  case DecisionKind::stations:
    return typed(listOf(chance, false, 900));
  case DecisionKind::numbers:
    return typed(listOf(chance, true, 30));
  case DecisionKind::outline: {
    std::string text;
    for (int i = chance.number(9); i >= 0; --i)
      text += std::to_string(chance.share() * 500 - 100) + " : " + std::to_string(0.1 + chance.share() * 300) + "; ";
    return typed(text);
  }
  case DecisionKind::shares:
    return typed(listOf(chance, false, 2));
  default:
    break;
  }
  const auto next = decideValue(d, one.path, chance.within(one.limits));
  return next ? next.value() : d;
}

/// Something added, taken out, cut, merged.
Design rebuilt(const Design& d, Chance& chance) {
  const int wing = chance.number(static_cast<int>(d.wings.size()));
  const PanelId id{wing, chance.number(static_cast<int>(d.wings[static_cast<std::size_t>(wing)].panels.size()))};
  Result<Design> next = Problem{};
  Design plain = d;
  switch (chance.number(10)) {
  case 0:
    next = withWingAdded(d, static_cast<WingKind>(1 + chance.number(4)));
    break;
  case 1:
    next = withPanelAdded(d, wing);
    break;
  case 2:
    next = withPanelSplit(d, id, chance.share() * d.at(id).panel.span);
    break;
  case 3:
    next = withPanelsMerged(d, id);
    break;
  case 4:
    next = withPanelTakenOut(d, id);
    break;
  case 5:
    next = withPanelMovedOut(d, id);
    break;
  case 6:
    if (plain.at(id).spars.size() < static_cast<std::size_t>(mostSpars)) plain.at(id).spars.push_back(Spar{});
    return plain;
  case 8:
    if (auto& all = plain.wings[static_cast<std::size_t>(wing)].struts; all.size() < mostStruts) all.push_back({});
    return plain;
  case 7:
    if (plain.at(id).join.braces.size() < static_cast<std::size_t>(mostBraces)) plain.at(id).join.braces.push_back({});
    return plain;
  default:
    if (!plain.at(id).spars.empty()) plain.at(id).spars.pop_back();
    return plain;
  }
  return next && !outOfLimits(next.value()) ? next.value() : d; // the window refuses what is beyond
}

void lookAt(Design d, Chance& chance) {
  makeNumbersOwn(d);
  ASSERT_EQ(outOfLimits(d), std::nullopt);
  const std::string text = designToText(d);
  const auto read = designFromText(text);
  ASSERT_TRUE(read.ok()) << read.problem().text();
  ASSERT_TRUE(read.value().design == d);
  ASSERT_TRUE(read.value().notes.empty()) << read.value().notes.front();
  const auto result = work(d);
  if (const auto* why = std::get_if<std::vector<Finding>>(&result)) {
    ASSERT_FALSE(why->empty());
    return;
  }
  const TrueWing& w = std::get<TrueWing>(result);
  std::set<std::string> paths;
  for (const Decision& one : decisionsOf(d)) paths.insert(one.path);
  const auto known = [&](const std::string& path) { return paths.contains(path) || path.starts_with("plan"); };
  for (const Figure& f : figuresOf(w)) {
    ASSERT_TRUE(std::isfinite(f.value)) << f.key;
    for (const std::string& path : f.decisions) ASSERT_TRUE(known(path)) << f.key << " names " << path;
  }
  for (const Finding& f : findingsOf(w))
    for (const std::string& path : f.decisions) ASSERT_TRUE(known(path)) << f.key << " names " << path;
  ASSERT_FALSE(reportJson(d.name, figuresOf(w), findingsOf(w)).empty());
  if (w.main().stationCount() > 120) return; // prints of hundreds of ribs are a matter of time alone
  ExportOrder order;
  order.pieces = {static_cast<PrintPiece>(chance.number(static_cast<int>(printPieceChoices.size())))};
  order.paper = chance.once(2) ? Paper::a4 : Paper::letter;
  ASSERT_GE(sectionsOf(w, order).size(), 0u);
}

TEST(Fuzz, RandomDecisionsWithinLimits) {
  const int many = test::asked("EUPTERA_FUZZ", 40);
  const auto first = static_cast<unsigned>(test::asked("EUPTERA_FUZZ_FROM", 1));
  for (unsigned seed = first; seed < first + static_cast<unsigned>(many); ++seed) {
    SCOPED_TRACE("seed " + std::to_string(seed));
    Chance chance(seed);
    const auto& names = shipped::demoNames();
    Design d = demoDesign(names[static_cast<std::size_t>(chance.number(static_cast<int>(names.size())))]);
    for (PlanSheet& sheet : d.plan.sheets) sheet.copy = {};
    for (int i = 1 + chance.number(8); i > 0; --i) d = chance.once(5) ? rebuilt(d, chance) : changed(d, chance);
    const std::clock_t begun = std::clock(); // processor time: other work on the machine does not count
    lookAt(d, chance);
    if (HasFatalFailure()) {
      if (const char* to = std::getenv("EUPTERA_FUZZ_KEEP")) (void)writeFileAtomically(to, designToText(d));
      return;
    }
    ASSERT_LT(static_cast<double>(std::clock() - begun) / CLOCKS_PER_SEC, 60)
        << "far beyond what even a watched build takes";
  }
}

/// Bytes of a wing file changed at random: read, or refused with a reason.
TEST(Fuzz, DamagedWingFiles) {
  const int many = test::asked("EUPTERA_FUZZ", 300);
  const auto first = static_cast<unsigned>(test::asked("EUPTERA_FUZZ_FROM", 1));
  const std::string whole(*shipped::demo("tarnbrook-2000"));
  for (unsigned seed = first; seed < first + static_cast<unsigned>(many); ++seed) {
    SCOPED_TRACE("seed " + std::to_string(seed));
    Chance chance(seed);
    std::string text = whole;
    for (int i = 1 + chance.number(6); i > 0; --i) {
      const auto at = static_cast<std::size_t>(chance.number(static_cast<int>(text.size())));
      switch (chance.number(4)) {
      case 0:
        text[at] = static_cast<char>(chance.number(256));
        break;
      case 1:
        text.erase(at, static_cast<std::size_t>(chance.number(40)));
        break;
      case 2:
        text.insert(at, whole, static_cast<std::size_t>(chance.number(static_cast<int>(whole.size()))), 30);
        break;
      default:
        if (const auto digit = text.find_first_of("0123456789", at); digit != std::string::npos)
          text.replace(digit, 1, chance.once(2) ? "-9" : "1e99");
      }
    }
    const auto read = designFromText(text);
    if (!read) {
      ASSERT_FALSE(read.problem().text().empty());
      continue;
    }
    ASSERT_EQ(outOfLimits(read.value().design), std::nullopt);
    const auto again = designFromText(designToText(read.value().design));
    ASSERT_TRUE(again.ok()) << again.problem().text();
    ASSERT_TRUE(again.value().design == read.value().design);
  }
}

/// The same with coordinates.
TEST(Fuzz, DamagedCoordinates) {
  const int many = test::asked("EUPTERA_FUZZ", 300);
  const auto first = static_cast<unsigned>(test::asked("EUPTERA_FUZZ_FROM", 1));
  const std::string whole = coordinatesText(makeNaca(readNaca("4412").value()), CoordinateLayout::loop);
  for (unsigned seed = first; seed < first + static_cast<unsigned>(many); ++seed) {
    SCOPED_TRACE("seed " + std::to_string(seed));
    Chance chance(seed);
    std::string text = whole;
    for (int i = 1 + chance.number(4); i > 0; --i) {
      const auto at = static_cast<std::size_t>(chance.number(static_cast<int>(text.size())));
      if (chance.once(2))
        text[at] = static_cast<char>(chance.number(256));
      else
        text.erase(at, static_cast<std::size_t>(chance.number(200)));
    }
    const auto read = readCoordinates(text, "x");
    if (!read) {
      ASSERT_FALSE(read.problem().text().empty());
      continue;
    }
    Design d;
    d.inner().sections.root.kind = SectionKind::listed;
    d.inner().sections.root.listed = read.value().section;
    ASSERT_EQ(outOfLimits(d), std::nullopt);
    ASSERT_TRUE(designFromText(designToText(d)).ok());
    const Section s = makeSection(read.value().section);
    const auto again = readCoordinates(coordinatesText(s, CoordinateLayout::blocks), "y");
    if (!again) {
      if (const char* to = std::getenv("EUPTERA_FUZZ_KEEP")) (void)writeFileAtomically(to, text);
    }
    ASSERT_TRUE(again.ok()) << "what is written is read: " << again.problem().text();
  }
}

} // namespace
} // namespace eup
