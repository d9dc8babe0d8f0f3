#include "core/described/limits_check.h"
#include "core/described/describe.h"
#include "core/files/bytes.h"
#include "core/files/text_file.h"
#include "core/measure/date.h"
#include "core/measure/length_text.h"
#include "core/section/naca.h"
#include <cmath>
#include <fmt/format.h>

namespace eup {
namespace {

class Checker : public Visitor {
public:
  using Visitor::group;
  std::optional<Problem> problem;
  std::size_t copies = 0; ///< bytes of them

  void group(const char*, Topic, int, Inside inside) override { inside(); }
  void hidden(const char*, Inside inside) override { inside(); }
  void know(const Tables& rows) override { own = &rows; }
  void items(const char* key, Topic, ListRef all, int most, bool needed, Each each) override {
    if (needed && all.size() == 0) refuse(key, "one is needed at least");
    if (static_cast<int>(all.size()) > most) refuse(key, fmt::format("{} of them; there can be {}", all.size(), most));
    for (std::size_t i = 0; i < all.size() && !problem; ++i) each(i);
  }
  void length(const char* key, const char* label, double& v, Limits l, bool = true) override {
    real(key, label, v, l, " mm");
  }
  void fraction(const char* key, const char* label, double& v, Limits l, bool = true) override {
    real(key, label, v, l, " of the chord");
  }
  void number(const char* key, const char* label, double& v, Limits l, bool = true) override {
    real(key, label, v, l, "");
  }
  void mass(const char* key, const char* label, double& v, Limits l, bool = true) override {
    real(key, label, v, l, " g");
  }
  void angle(const char* key, const char* label, double& v, Limits l, bool = true) override {
    real(key, label, v, l, "°");
  }
  void count(const char* key, const char* label, int& v, Limits l, bool = true) override { real(key, label, v, l, ""); }
  void flag(const char*, const char*, bool&, bool = true) override {}
  void text(const char* key, const char* label, std::string& v, bool = true) override {
    if (!fits(v, mostNameLetters)) refuse(*label ? label : key, tooLong(mostNameLetters));
  }
  void lasting(const char* key, int& v) override { count(key, "", v, Limits{0, mostNumber}); }
  void freeText(const char* key, std::string& v) override {
    if (!fits(v, mostTextLetters)) refuse(key, tooLong(mostTextLetters));
  }
  void day(const char* key, const char* label, std::string& v) override {
    if (!v.empty() && !dateFromText(v)) refuse(*label ? label : key, "no day of the calendar");
  }
  void listed(const char* key, const char* label, std::string& v, Shelf shelf, bool = true) override {
    if (own && !own->has(shelf, v)) refuse(*label ? label : key, fmt::format("“{}” is in no table", v));
  }
  void chosen(const char* key, const char*, std::size_t& v, std::span<const Choice> names, bool) override {
    if (v >= names.size()) refuse(key, "none of the choices");
  }
  void stations(const char* key, const char* label, std::vector<double>& v, bool) override {
    if (v.size() > static_cast<std::size_t>(mostRibs))
      refuse(*label ? label : key, fmt::format("{} lengths; there can be {}", v.size(), mostRibs));
    for (const double x : v)
      if (!std::isfinite(x)) refuse(*label ? label : key, "a length is no number");
  }
  void numbers(const char* key, const char* label, std::vector<int>& v, bool = true) override {
    if (v.size() > static_cast<std::size_t>(mostRibs))
      refuse(*label ? label : key, fmt::format("{} numbers; there can be {}", v.size(), mostRibs));
    for (const int n : v)
      if (n < 1 || n > mostRibs) refuse(*label ? label : key, fmt::format("{} is no rib", n));
  }
  void shares(const char*, const char* label, std::vector<double>& v, bool) override {
    if (const auto cause = wrongShares(v)) refuse(label, *cause);
    for (const double x : v)
      if (!(x >= 0 && x <= mostShare)) refuse(label, "a share of lift is beyond its limits");
  }
  void digits(const char*, const char* label, std::string& v, bool) override {
    if (const auto naca = readNaca(v); !naca) refuse(label, naca.problem().cause);
  }
  void points(const char* key, Polyline& v, std::size_t most) override {
    if (v.size() > most) refuse(key, fmt::format("{} points; there can be {}", v.size(), most));
    for (const Point& p : v)
      if (!(std::abs(p.x()) < farthestPoint && std::abs(p.y()) < farthestPoint))
        refuse(key, "a point lies farther out than any plan");
  }
  void outline(const char* key, const char* label, Polyline& v, bool) override {
    if (const auto cause = wrongOutline(v)) refuse(*label ? label : key, *cause);
  }
  void bytes(const char*, EmbeddedCopy& v) override { copies += v.bytes().size(); }
  void dihedral(const char*, Dihedral& v, double, bool) override {
    const Limits l = v.by == DihedralBy::angle  ? Limits{-50, 50}
                     : v.by == DihedralBy::rise ? Limits{-farthestRise, farthestRise}
                                                : Limits{0, farthestRise};
    real("dihedral", "Dihedral", v.value, l, v.by == DihedralBy::angle ? "°" : " mm");
  }

private:
  static bool fits(const std::string& text, std::size_t letters) { return firstLetters(text, letters) == text; }
  static std::string tooLong(std::size_t letters) { return fmt::format("longer than {} letters", letters); }
  void real(const char* key, const char* label, double v, Limits l, const char* unit) {
    if (l.tooLittle(v))
      return refuse(*label ? label : key, fmt::format("{}{} is too little", formatNumber(v, 3), unit));
    if (v >= l.low - 1e-9 && v <= l.high + 1e-9) return;
    refuse(*label ? label : key, fmt::format("{}{} is out of bounds: {} to {}{}", formatNumber(v, 3), unit,
                                             formatNumber(l.low, 3), formatNumber(l.high, 3), unit));
  }
  void refuse(const char* what, std::string cause) {
    if (!problem) problem = Problem{what, std::move(cause)};
  }
  const Tables* own = nullptr;
};

} // namespace

std::optional<Problem> outOfLimits(const Design& design) {
  Checker checker;
  describe(design, checker);
  // In a file a copy takes four letters for three bytes; the rest of it is small beside that.
  if (!checker.problem && checker.copies / 3 * 4 > largestTextFile - (4u << 20))
    checker.problem = Problem{"Plan", fmt::format("the copies kept with the wing are {} MB: a file with them would be "
                                                  "too large to be opened again; keep fewer of them",
                                                  checker.copies >> 20)};
  return checker.problem;
}

} // namespace eup
