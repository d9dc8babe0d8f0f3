// What was read off the wing as built, as figures; and what to do about it, as findings with their rule and doubt.
#include "core/design/validate.h"
#include "core/measure/units.h"
#include "core/work/as_read.h"
#include "core/work/finder.h"
#include "core/work/model_balance.h"
#include "core/work/report_parts.h"
#include <algorithm>
#include <cmath>

namespace eup {
namespace {

const char* byReading = "readings at the bench; how to mend: common practice, no source";

/// What is let be: twist, rad; mm over a straightedge; mm of bow, of rise, of a notch. Common practice.
constexpr double twistLetBe = 0.3 * std::numbers::pi / 180, gapLetBe = 0.25, bowLetBe = 1, riseLetBe = 2,
                 notchLetBe = 0.2;
/// An error is believed when it is so many times its doubt.
constexpr double believed = 2;

bool isSure(double value, double doubt, double letBe) {
  return std::abs(value) > std::max(letBe, believed * doubt);
}

/// What one panel's twist comes to at its trailing edge.
struct TwistTold {
  const TwistRead& read;
  const TruePanel& panel;
  PanelState state;
  int rib = 0;                   ///< its outermost
  double chord = 0;              ///< there
  double decided = 0, built = 0; ///< rad of washout over the panel
  double edge = 0;               ///< mm that the trailing edge there has to come up; down when negative
  HeldOver over{};               ///< rad
  double overEdge() const { return chord * std::sin(-over.hold); }
};

TwistTold toldOf(const TrueWing& w, const TwistRead& read) {
  const TruePanel& panel = w.of(read.hand).at(read.panel);
  const PanelLoft& loft = panel.shape.loft;
  TwistTold out{read, panel, stateOf(w, read.panel, read.hand)};
  out.rib = panel.frame.ribs.back().number;
  out.chord = loft.frameAt(loft.span()).chord;
  out.decided = loft.frameAt(loft.span()).washout - loft.frameAt(0).washout;
  out.built = out.decided - read.twist;
  out.edge = out.chord * std::sin(read.twist);
  out.over = holdAgainst(read.twist, read.before);
  return out;
}

std::string handWords(Hand hand) {
  return fmt::format("{} hand", name(hand));
}

std::string ribsWords(const std::vector<int>& ribs) {
  std::string out;
  for (const int rib : ribs) out += fmt::format("{}R{}", out.empty() ? "" : ", ", rib);
  return out;
}

void twistFiguresRead(const TwistTold& t, FigureList& out) {
  const std::string hand = name(t.read.hand), key = "built.";
  const std::string read = fmt::format("{}, read at {}; within {} either way", handWords(t.read.hand),
                                       ribsWords(t.read.ribs), out.deg(t.read.doubt));
  out.add({key + "twist." + hand,
           fmt::format("Washout as built, {}", hand),
           t.built,
           Quantity::angle,
           Stage::build,
           fmt::format("tip against the panel's inner end, {}", read),
           "washout decided − slope of the line through (read − decided) × span",
           fmt::format("{} − {} = {}; {} readings, scatter × {:.2f}", out.deg(t.decided), out.deg(t.read.twist),
                       out.deg(t.built), t.read.error.samples, t.read.error.scatter),
           "weighted least squares; the gauge's zero falls out",
           {"panel.washout"},
           true});
  out.add({key + "edge." + hand,
           fmt::format("TE to move up at the tip, {}", hand),
           t.edge,
           Quantity::length,
           Stage::build,
           fmt::format("trailing edge at R{}, {}; down where it is negative", t.rib, handWords(t.read.hand)),
           "chord × sin (how much too nose up it is)",
           fmt::format("{} × sin {}", out.len(t.chord), out.deg(t.read.twist)),
           planeGeometry,
           {"panel.washout"},
           true});
  if (isSure(t.read.twist, t.read.doubt, twistLetBe) && t.state != PanelState::onBoard)
    out.add({key + "hold." + hand,
             fmt::format("Hold its TE over by, {}", hand),
             t.overEdge(),
             Quantity::length,
             Stage::build,
             fmt::format("trailing edge at R{}, from where it is now, while it sets; read again after a night", t.rib),
             t.over.took > 0 ? "chord × sin (error ÷ what the last try took)"
                             : "chord × sin (1.5 × error): it springs back",
             t.over.took > 0 ? fmt::format("{} ÷ {:.2f}", out.deg(t.read.twist), t.over.took)
                             : fmt::format("1.5 × {}", out.deg(t.read.twist)),
             byReading,
             {"panel.washout"}});
}

/// Wood as hard as a strip of spruce cannot be wetted into another shape.
bool isHard(const Material& wood) {
  constexpr double hard = 300; // kg/m³, common practice
  return wood.density > hard;
}

/// What is done about a twist, by how far the panel is.
std::string remedyOf(const TwistTold& t, const Finder& f) {
  const char* way = t.edge > 0 ? "up" : "down";
  const std::string by = f.len(std::abs(t.edge)), over = f.len(std::abs(t.overEdge()));
  const TrailingEdge& te = t.panel.design.trailingEdge;
  switch (t.state) {
  case PanelState::onBoard:
    return fmt::format("Still on the board: pack the trailing edge {} by {} at R{}, in proportion inboard, before "
                       "more is glued.",
                       t.edge > 0 ? "higher" : "lower", by, t.rib);
  case PanelState::closed:
    return fmt::format("It is closed: film lets itself be ironed with the trailing edge held {} by {} at R{}; steam "
                       "and a night in the jig take a little out; else accept it.",
                       way, over, t.rib);
  case PanelState::open:
    break;
  }
  if (te.kind == TrailingEdgeKind::none || t.panel.design.built != Built::ribs)
    return fmt::format("Before the last skin: hold the trailing edge {} by {} at R{} while it sets, a night long; it "
                       "springs back. Read again.",
                       way, over, t.rib);
  if (!isHard(t.panel.design.tables.named(te.material)))
    return fmt::format("Its trailing edge is balsa: wet it, pin it with the tip's {} by {} at R{}, leave it a night; "
                       "it springs back. Read again, then the other side.",
                       way, over, t.rib);
  return fmt::format("Its trailing edge is hard wood and keeps the twist: pin the frame true, cut the edge off and "
                     "scarf a new one in of hard balsa; see the figures of it. The trailing edge at R{} goes {} by {}.",
                     t.rib, way, by);
}

void twistFindingRead(const TwistTold& t, const TrueWing& w, std::vector<Finding>& out) {
  const Finder f{t.panel, out};
  const std::string doubt = told(t.read.doubt, Quantity::angle, t.panel.design.unit),
                    error = told(std::abs(t.read.twist), Quantity::angle, t.panel.design.unit),
                    hand = name(t.read.hand);
  Finding finding;
  finding.stage = Stage::build, finding.rib = t.rib;
  if (!isSure(t.read.twist, t.read.doubt, twistLetBe)) {
    finding.key = "built.twist.fine." + hand, finding.severity = Severity::note;
    finding.what = fmt::format("The {} is as true as can be read", handWords(t.read.hand));
    finding.detail = fmt::format("Its washout is {} off what was decided, within {} either way.", error, doubt);
    finding.remedy = "Leave it.";
  } else {
    finding.key = (t.read.twist > 0 ? "built.twist.little." : "built.twist.much.") + hand;
    finding.severity = Severity::warning;
    finding.what =
        fmt::format("The {} has too {} washout", handWords(t.read.hand), t.read.twist > 0 ? "little" : "much");
    finding.detail = fmt::format("By {}, within {} either way: its trailing edge at R{} is {} too {}.", error, doubt,
                                 t.rib, f.len(std::abs(t.edge)), t.edge > 0 ? "low" : "high");
    finding.remedy = remedyOf(t, f);
  }
  finding.decisions = {"panel.washout"};
  out.push_back(inPanel(std::move(finding), t.read.panel, t.panel.design.of,
                        t.read.panel.wing > 0 ? w.design.wings[static_cast<std::size_t>(t.read.panel.wing)].name
                                              : std::string()));
}

/// A trailing edge of hard wood that keeps a twist or a bow is replaced: what the new one is.
void newEdgeFigures(const TrueWing& w, const TruePanel& p, Hand hand, FigureList& out) {
  const TrailingEdge& te = p.design.trailingEdge;
  const Material &old = p.design.tables.named(te.material), &now = p.design.tables.named("balsa-190");
  const double ratio = std::cbrt(old.modulus / now.modulus), wide = p.design.trailing.width;
  const std::string key = fmt::format("built.newEdge.{}.", name(hand));
  out.add({key + "width",
           fmt::format("New trailing edge, width, {}", name(hand)),
           wide * ratio,
           Quantity::length,
           Stage::build,
           "of hard balsa, as deep as the old one: as stiff fore and aft",
           "width × ∛(E old ÷ E new)",
           fmt::format("{} × ∛({:.0f} ÷ {:.0f})", out.len(wide), old.modulus, now.modulus),
           "I = h w³ ÷ 12",
           {"trailingEdge.width", "trailingEdge.material"}});
  const double deep = p.design.trailing.onRib(), scarf = w.design.cutList.scarf * deep;
  out.add({key + "scarf",
           fmt::format("Its scarf, long, {}", name(hand)),
           scarf,
           Quantity::length,
           Stage::build,
           "in the middle of the bay inside the first rib that is off",
           "scarf × depth",
           fmt::format("{:.0f} × {}", w.design.cutList.scarf, out.len(deep)),
           "common practice",
           {"cutList.scarf"}});
  out.add({key + "notch",
           fmt::format("Notches for its ribs, deep, {}", name(hand)),
           wide * ratio / 4,
           Quantity::length,
           Stage::build,
           "into its front edge at every rib, with a gusset twice as long on either side",
           "a quarter of its width",
           fmt::format("{} ÷ 4", out.len(wide * ratio)),
           "common practice",
           {"trailingEdge.width"}});
}

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
void massReadFigures(const TrueWing& w, int number, FigureList* figures, std::vector<Finding>* findings) {
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

void rollReadFigures(const TrueWing& w, int number, const std::vector<TwistRead>& twists, FigureList* figures,
                     std::vector<Finding>* findings) {
  const auto roll = rollRead(w.wing(number), twists, number);
  if (!roll) return;
  constexpr double flown = 10; // m
  const double rolls = roll->perMetre * flown;
  const char* way = rolls > 0 ? "left" : "right";
  const std::string by = told(std::abs(rolls), Quantity::angle, w.design.unit);
  if (figures) {
    figures->add({"built.roll",
                  "Rolls by itself in 10 m flown",
                  rolls,
                  Quantity::angle,
                  Stage::build,
                  "to the left where it is positive; with nothing held against it, fuselage and tail left out",
                  "∫ c (θ right − θ left) y dy ÷ 2 ∫ c y² dy × 10 m",
                  fmt::format("{} a metre, within {:.0f} % of it", figures->deg(std::abs(roll->perMetre)),
                              100 * roll->doubtShare),
                  "strip theory: a wing evens its lift out along the span and rolls less",
                  {},
                  true});
    if (roll->aileron)
      figures->add({"built.trim",
                    "Aileron that holds it",
                    *roll->aileron,
                    Quantity::angle,
                    Stage::build,
                    "right up and left down where it is positive, from where both are in line",
                    "∫ c (θ right − θ left) y dy ÷ 2 ∫ τ c y dy over the ailerons",
                    fmt::format("within {:.0f} % of it", 100 * roll->doubtShare),
                    "strip theory, τ of a thin flap",
                    {},
                    true});
  }
  if (!findings || roll->doubtShare * believed > 1) return;
  Finding f{fmt::format("built.roll.{}", way),
            Severity::note,
            Stage::build,
            fmt::format("Twisted as it is, it rolls to the {}", way),
            fmt::format("About {} in 10 m flown.", by),
            roll->aileron ? fmt::format("Untwist it, or accept it: {} aileron up by {} holds it at every speed.",
                                        *roll->aileron > 0 ? "right" : "left",
                                        told(std::abs(*roll->aileron), Quantity::angle, w.design.unit))
                          : fmt::format("Untwist it, or turn a tab on the {} tip's trailing edge up.",
                                        rolls > 0 ? "right" : "left")};
  f.wing = number;
  findings->push_back(std::move(f));
}

void balanceReadFigures(const TrueWing& w, FigureList* figures, std::vector<Finding>* findings) {
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

void strayFindings(const TrueWing& w, std::vector<Finding>& out) {
  const auto stray = withoutPlace(w);
  if (stray.empty()) return;
  const BenchReading& r = w.design.records.readings[stray.front()];
  out.push_back(
      {"built.noPlace", Severity::note, Stage::build,
       stray.size() == 1 ? std::string("A reading has no place on the wing")
                         : fmt::format("{} readings have no place on the wing", stray.size()),
       fmt::format("The first: {} at R{} of panel {}, {}.", readKindChoices[static_cast<std::size_t>(r.kind)].label,
                   r.rib, r.panel + 1, handWords(r.hand)),
       "It is kept. Say which rib it was, or take it out."});
}

} // namespace

void builtFigures(const TrueWing& w, FigureList& out) {
  if (w.design.records.readings.empty()) return;
  const std::vector<TwistRead> twists = twistsRead(w);
  for (int number = 0; number < static_cast<int>(w.wings.size()); ++number) {
    for (const TwistRead& read : twists) {
      if (read.panel.wing != number) continue;
      const TwistTold t = toldOf(w, read);
      out.turnTo(t.panel.design);
      twistFiguresRead(t, out);
      const TrailingEdge& te = t.panel.design.trailingEdge;
      if (isSure(read.twist, read.doubt, twistLetBe) && te.kind != TrailingEdgeKind::none &&
          t.panel.design.built == Built::ribs && t.state == PanelState::open &&
          isHard(t.panel.design.tables.named(te.material)))
        newEdgeFigures(w, t.panel, read.hand, out);
    }
    tellRibs(w, number, &out, nullptr);
    out.turnToWhole(number);
    massReadFigures(w, number, &out, nullptr);
    rollReadFigures(w, number, twists, &out, nullptr);
  }
  out.turnToWhole(0);
  balanceReadFigures(w, &out, nullptr);
}

void builtFindings(const TrueWing& w, std::vector<Finding>& out) {
  if (w.design.records.readings.empty()) return;
  const std::vector<TwistRead> twists = twistsRead(w);
  for (const TwistRead& read : twists) twistFindingRead(toldOf(w, read), w, out);
  for (int number = 0; number < static_cast<int>(w.wings.size()); ++number) {
    tellRibs(w, number, nullptr, &out);
    massReadFigures(w, number, nullptr, &out);
    rollReadFigures(w, number, twists, nullptr, &out);
  }
  balanceReadFigures(w, nullptr, &out);
  strayFindings(w, out);
}

} // namespace eup
