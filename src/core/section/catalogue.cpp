#include "core/section/catalogue.h"
#include <algorithm>
#include <cctype>
#include <fmt/format.h>

namespace eup {
namespace {

std::string lower(std::string_view text) {
  std::string out(text);
  for (char& c : out) c = static_cast<char>(std::tolower(static_cast<unsigned char>(c)));
  return out;
}

std::vector<CatalogueEntry> make() {
  std::vector<CatalogueEntry> all;
  const auto add = [&](const char* family, const SectionChoice& choice) {
    all.push_back({sourceName(choice), family, sourceOf(choice), choice, measure(sectionOf(choice))});
  };
  for (const char* camber : {"00", "14", "22", "24", "34", "43", "44", "54", "63", "64"})
    for (int t = 6; t <= 18; ++t)
      if (std::string_view(camber) == "00" || t <= 16)
        add("NACA 4-digit", nacaSection(fmt::format("{}{:02}", camber, t)));
  for (const char* base : {"0006", "0008", "0009", "0010", "0012", "1410", "2410", "2412"})
    for (const char* change : {"33", "34", "35", "64", "65"})
      add("NACA 4-digit, modified", nacaSection(fmt::format("{}-{}", base, change)));
  for (int line : {21, 22, 23, 24, 25})
    for (int t : {9, 12, 15, 18}) add("NACA 5-digit", nacaSection(fmt::format("{}0{:02}", line, t)));
  const auto drawn = [&](const char* family, SectionKind kind, auto set) {
    SectionChoice c;
    c.kind = kind;
    set(c.drawn);
    add(family, c);
  };
  for (int t = 6; t <= 14; ++t)
    drawn("Flat underside", SectionKind::flatUnderside, [&](DrawnNumbers& n) {
      n.thickness = t / 100.0;
      n.noseRadius = 0.1 * n.thickness;
    });
  for (int t : {15, 20, 30, 40})
    drawn("Flat plate", SectionKind::flatPlate, [&](DrawnNumbers& n) { n.plate = t / 1000.0; });
  for (int c : {3, 4, 5, 6, 7, 8})
    for (int t : {5, 15, 25})
      drawn("Curved plate", SectionKind::curvedPlate,
            [&](DrawnNumbers& n) { n.camber = c / 100.0, n.plate = t / 1000.0; });
  return all;
}

} // namespace

const std::vector<CatalogueEntry>& catalogue() {
  static const std::vector<CatalogueEntry> all = make();
  return all;
}

std::vector<const CatalogueEntry*> search(const CatalogueQuery& q) {
  constexpr double slack = 5e-4; // a section said to be 12 % thick is found when 12 is asked for
  std::vector<std::string> words;
  for (std::size_t from = 0; from < q.words.size();) {
    const std::size_t end = std::min(q.words.find(' ', from), q.words.size());
    if (end > from) words.push_back(lower(std::string_view(q.words).substr(from, end - from)));
    from = end + 1;
  }
  std::vector<const CatalogueEntry*> found;
  for (const CatalogueEntry& e : catalogue()) {
    const SectionMeasures& m = e.measures;
    const std::string text = lower(e.name + " " + e.family);
    const bool named = std::all_of(words.begin(), words.end(),
                                   [&](const std::string& w) { return text.find(w) != std::string::npos; });
    if (named && m.thickness >= q.thicknessFrom - slack && m.thickness <= q.thicknessTo + slack &&
        m.camber >= q.camberFrom - slack && m.camber <= q.camberTo + slack &&
        (!q.flatUnderside || m.flatTo - m.flatFrom >= 0.5))
      found.push_back(&e);
  }
  return found;
}

} // namespace eup
