// What was read rib by rib, on the scales and hung, against what it should be, with what to do about it.
#include "core/described/validate.h"
#include "core/report/built_told.h"
#include "core/report/finder.h"
#include "core/wing/model_balance.h"
#include <algorithm>

namespace eup {
namespace {

/// Keys of what is read at one rib.
std::string ribKey(const char* what, const RibRead& r) {
  return fmt::format("built.{}.{}.R{}", what, name(r.hand), r.rib);
}

/// What the design has at that rib for a notch or a rise.
struct RibWanted {
  double value = 0;
  bool there = false;
};
RibWanted notchWanted(const TruePanel& p, int rib) {
  for (const Notch& n : p.rib(rib).notches)
    if (n.spar == 0 && n.face == Face::upper) return {n.underCover, true};
  return {};
}
double riseWanted(const WholeWing& wing, const TruePanel& p, int panel, int rib) {
  const Rib& r = p.rib(rib);
  const Point3 at = r.inPanel({0, 0});
  return wing.inSpace[static_cast<std::size_t>(panel)].at(at.x(), at.y(), at.z()).z();
}

/// One reading at a rib against what it should be, with what to do.
struct RibAdvice {
  const char* key;
  const char* label;
  std::string where, rule, what, remedy;
  double letBe = 0;
};

void tell(const RibRead& r, const TruePanel& p, const RibAdvice& a, double off, FigureList* figures,
          std::vector<Finding>* findings, const std::string& wingName) {
  if (figures)
    figures->add({ribKey(a.key, r),
                  fmt::format("{}, {}", a.label, name(r.hand)),
                  off,
                  Quantity::length,
                  Stage::build,
                  a.where,
                  a.rule,
                  fmt::format("{} readings, mean {}, within {} either way", r.read.readings, figures->len(r.read.mean),
                              figures->len(r.read.doubt)),
                  byReading,
                  {},
                  false,
                  r.rib});
  if (!findings || !isSure(off, r.read.doubt, a.letBe)) return;
  Finding f;
  f.key = fmt::format("built.{}.{}.{}", a.key, off > 0 ? "over" : "under", name(r.hand));
  f.severity = Severity::warning, f.stage = Stage::build, f.what = a.what, f.rib = r.rib;
  f.detail = fmt::format("By {} at R{}, within {} either way.", told(std::abs(off), Quantity::length, p.design.unit),
                         r.rib, told(r.read.doubt, Quantity::length, p.design.unit));
  f.remedy = a.remedy;
  findings->push_back(inPanel(std::move(f), r.panel, p.design.of, wingName));
}

} // namespace

/// Everything that is read rib by rib.
void tellRibs(const TrueWing& w, int number, FigureList* figures, std::vector<Finding>* findings) {
  const std::string wingName = number > 0 ? w.design.wings[static_cast<std::size_t>(number)].name : std::string();
  const auto each = [&](ReadKind kind, auto adviceOf) {
    for (const RibRead& r : ribsRead(w, kind)) {
      if (r.panel.wing != number) continue;
      const TruePanel& p = w.of(r.hand).at(r.panel);
      if (figures) figures->turnTo(p.design);
      adviceOf(r, p, handWords(r.hand), [&](double mm) { return told(std::abs(mm), Quantity::length, p.design.unit); });
    }
  };
  each(ReadKind::straightedge, [&](const RibRead& r, const TruePanel& p, const std::string& hand, auto len) {
    const double off = r.read.mean;
    tell(r, p,
         {"gap", "Stands over its neighbours", fmt::format("R{}, {}, under a straightedge along the ribs", r.rib, hand),
          "as read; + is high", fmt::format("R{} stands {} on the {}", r.rib, off > 0 ? "high" : "low", hand),
          off > 0 ? fmt::format("Shave {} off R{} between the spars, until all bear evenly.", len(off), r.rib)
                  : fmt::format("Glue a strip of {} on R{}, sand it to the straightedge.", len(off), r.rib),
          gapLetBe},
         off, figures, findings, wingName);
  });
  each(ReadKind::bow, [&](const RibRead& r, const TruePanel& p, const std::string& hand, auto len) {
    const double off = r.read.mean;
    const bool hard = isHard(p.design.tables.named(p.design.trailingEdge.material));
    tell(r, p,
         {"bow", "Trailing edge off the string", fmt::format("R{}, {}; + is aft", r.rib, hand), "as read",
          fmt::format("The trailing edge of the {} is bowed {}", hand, off > 0 ? "aft" : "forward"),
          hard ? fmt::format(
                     "Hard wood keeps it: pin the frame, cut the edge off, scarf a new one in; at R{} it goes {} "
                     "by {}.",
                     r.rib, off > 0 ? "forward" : "aft", len(off))
               : fmt::format("Wet it, pin it {} by {} at R{}, half as far again as it is off, leave it a night; read "
                             "again.",
                             off > 0 ? "forward" : "aft", len(1.5 * off), r.rib),
          bowLetBe},
         off, figures, findings, wingName);
  });
  each(ReadKind::notch, [&](const RibRead& r, const TruePanel& p, const std::string& hand, auto len) {
    const RibWanted wanted = notchWanted(p, r.rib);
    if (!wanted.there) return;
    const double off = r.read.mean - wanted.value;
    tell(r, p,
         {"notch", "Notch deeper than drawn by",
          fmt::format("top notch of the first spar in R{}, {}, from the cut edge", r.rib, hand), "read − drawn",
          fmt::format("The notch in R{} of the {} is too {}", r.rib, hand, off > 0 ? "deep" : "shallow"),
          off > 0 ? fmt::format("Glue a shim of {} under the cap there.", len(off))
                  : fmt::format("Deepen it by {}; where the cap was planed down instead, a web {} deep above it, grain "
                                "upright, gives the depth back.",
                                len(off), len(off)),
          notchLetBe},
         off, figures, findings, wingName);
  });
  each(ReadKind::rise, [&](const RibRead& r, const TruePanel& p, const std::string& hand, auto len) {
    const double off = r.read.mean - riseWanted(w.of(r.hand).wing(number), p, r.panel.panel, r.rib);
    tell(r, p,
         {"rise", "Stands higher than decided by",
          fmt::format("nose of R{}, {}, over that of the root rib, both halves propped alike", r.rib, hand),
          "read − decided", fmt::format("The {} has too {} dihedral", hand, off > 0 ? "much" : "little"),
          fmt::format("{} the block under that tip by {}, in proportion to its place; dress the joint again before it "
                      "is glued.",
                      off > 0 ? "Lower" : "Raise", len(off)),
          riseLetBe},
         off, figures, findings, wingName);
  });
}

/// One half against the other on the scales.
void tellMasses(const TrueWing& w, int number, FigureList* figures, std::vector<Finding>* findings) {
  std::optional<MeanReading> read[2];
  for (const RibRead& r : ribsRead(w, ReadKind::mass))
    if (r.panel.wing == number) read[r.hand == Hand::left ? 1 : 0] = r.read;
  const LengthUnit unit = w.design.unit;
  for (const Hand hand : {Hand::right, Hand::left}) {
    const auto& r = read[hand == Hand::left ? 1 : 0];
    if (!figures || !r) continue;
    double reckoned = 0;
    for (const TruePanel& p : w.of(hand).wing(number).panels)
      for (const Part& part : p.parts) reckoned += part.grams;
    figures->add({fmt::format("built.mass.{}", name(hand)),
                  fmt::format("On the scales, {}", name(hand)),
                  r->mean,
                  Quantity::mass,
                  Stage::build,
                  fmt::format("{}, within {} either way; its pieces were reckoned at {}", handWords(hand),
                              told(r->doubt, Quantity::mass, unit), told(reckoned, Quantity::mass, unit)),
                  "mean of the readings",
                  fmt::format("{} readings", r->readings),
                  "the scales",
                  {},
                  true});
  }
  if (!read[0] || !read[1]) return;
  double moment = 0, grams = 0, out = 0;
  for (const TruePanel& p : w.wing(number).panels) {
    for (const Part& part : p.parts) grams += part.grams, moment += part.grams * (p.design.inboard + part.centre.y());
    out = p.design.inboard + p.shape.loft.span();
  }
  if (grams <= 0 || out <= 0) return;
  const double more = read[0]->mean - read[1]->mean, doubt = std::hypot(read[0]->doubt, read[1]->doubt),
               weight = std::abs(more) * moment / grams / out;
  const char* light = more > 0 ? "left" : "right";
  if (figures)
    figures->add({"built.tipWeight",
                  fmt::format("Weight in the {} tip", light),
                  weight,
                  Quantity::mass,
                  Stage::build,
                  "at the tip rib of the lighter half, so that it hangs level",
                  "difference × a half's own centre ÷ half span",
                  fmt::format("{} × {} ÷ {}", told(std::abs(more), Quantity::mass, unit),
                              told(moment / grams, Quantity::length, unit), told(out, Quantity::length, unit)),
                  "statics",
                  {}});
  if (findings && isSure(more, doubt, 0.02 * read[0]->mean))
    findings->push_back(
        {fmt::format("built.mass.{}", light),
         Severity::note,
         Stage::build,
         fmt::format("The {} half is lighter", light),
         fmt::format("By {}, within {} either way.", told(std::abs(more), Quantity::mass, unit),
                     told(doubt, Quantity::mass, unit)),
         fmt::format("Cover and paint it last, or put {} into its tip.", told(weight, Quantity::mass, unit)),
         {},
         {},
         number});
}

void tellBalance(const TrueWing& w, FigureList* figures, std::vector<Finding>* findings) {
  for (const RibRead& r : ribsRead(w, ReadKind::balance)) {
    const ModelBalance b = balanceOf(w);
    if (r.panel.wing != 0 || !b.lifts()) continue;
    const double off = r.read.mean - b.wanted;
    const std::string by = told(std::abs(off), Quantity::length, w.design.unit);
    if (figures)
      figures->add({"built.balance",
                    "Balances behind where it should by",
                    off,
                    Quantity::length,
                    Stage::build,
                    fmt::format("as it hangs, within {} either way", figures->len(r.read.doubt)),
                    "read − wanted",
                    fmt::format("{} − {}", figures->len(r.read.mean), figures->len(b.wanted)),
                    "the model, hung",
                    {"balance.margin"},
                    true});
    if (findings && isSure(off, r.read.doubt, 0.01 * b.meanChord))
      findings->push_back({off > 0 ? "built.balance.aft" : "built.balance.forward",
                           Severity::warning,
                           Stage::build,
                           fmt::format("It balances too far {}", off > 0 ? "aft" : "forward"),
                           fmt::format("By {}.", by),
                           off > 0 ? "Move what is aboard forward, or ballast the nose, before the first flight."
                                   : "Move what is aboard aft, or take ballast out of the nose.",
                           {},
                           {"balance.margin"}});
    return;
  }
}

} // namespace eup
