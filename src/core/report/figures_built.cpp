// What was read off the wing as built, as figures; and what to do about it, as findings with their rule and doubt.
#include "core/described/validate.h"
#include "core/measure/units.h"
#include "core/report/built_told.h"
#include "core/report/finder.h"
#include <algorithm>
#include <cmath>

namespace eup {
namespace {

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

std::string ribsWords(const std::vector<int>& ribs) {
  std::string out;
  for (const int rib : ribs) out += fmt::format("{}R{}", out.empty() ? "" : ", ", rib);
  return out;
}

void twistFiguresRead(const TwistTold& t, FigureList& out) {
  const std::string hand = name(t.read.hand), key = "built.";
  const std::string read = fmt::format("{}, read at {}; within {} either way", handWords(t.read.hand),
                                       ribsWords(t.read.ribs), out.deg(t.read.doubt));
  out.add(
      {key + "twist." + hand,
       fmt::format("Washout as built, {}", hand),
       t.built,
       Quantity::angle,
       Stage::build,
       fmt::format("tip against the panel's inner end, {}", read),
       "washout decided − slope of the line through (read − decided) × span; the farther in, the less by tip chord ÷ "
       "chord, as a panel of straight lines turns",
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

/// As a builder takes it: one reading less the other, whatever lies between.
void endsFigure(const TrueWing& w, int wing, const EndsRead& ends, FigureList& out) {
  const std::string hand = name(ends.hand);
  out.add({"built.ends." + hand,
           fmt::format("Washout read, R{} to R{}, {}", ends.inner, ends.outer, hand),
           ends.washout,
           Quantity::angle,
           Stage::build,
           fmt::format("incidence read at R{} less incidence read at R{}, {}; within {} either way", ends.inner,
                       ends.outer, handWords(ends.hand), out.deg(ends.doubt)),
           "incidence at the innermost rib that was read − incidence at the outermost one, of the last session",
           fmt::format("decided is {}: {} off", told(ends.decided, Quantity::angle, w.design.unit),
                       out.deg(ends.washout - ends.decided)),
           "difference of two readings; the gauge's zero falls out",
           {pathOf({wing, 0}) + "panel.washout"}});
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

void strayFindings(const TrueWing& w, std::vector<Finding>& out) {
  const auto stray = withoutPlace(w);
  if (stray.empty()) return;
  const BenchReading& r = w.design.records.readings[stray.front()];
  out.push_back({"built.noPlace", Severity::note, Stage::build,
                 stray.size() == 1 ? std::string("A reading has no place on the wing")
                                   : fmt::format("{} readings have no place on the wing", stray.size()),
                 fmt::format("The first: {} ({}, {}).", readKindChoices[static_cast<std::size_t>(r.kind)].label,
                             placeRead(w, r), handWords(r.hand)),
                 "It is kept, and counts again when the panel is restored. Otherwise read it again."});
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
    for (const EndsRead& ends : endsRead(w, number)) endsFigure(w, number, ends, out);
    tellMasses(w, number, &out, nullptr);
    rollReadFigures(w, number, twists, &out, nullptr);
  }
  out.turnToWhole(0);
  tellBalance(w, &out, nullptr);
}

void builtFindings(const TrueWing& w, std::vector<Finding>& out) {
  if (w.design.records.readings.empty()) return;
  const std::vector<TwistRead> twists = twistsRead(w);
  for (const TwistRead& read : twists) twistFindingRead(toldOf(w, read), w, out);
  for (int number = 0; number < static_cast<int>(w.wings.size()); ++number) {
    tellRibs(w, number, nullptr, &out);
    tellMasses(w, number, nullptr, &out);
    rollReadFigures(w, number, twists, nullptr, &out);
  }
  tellBalance(w, nullptr, &out);
  strayFindings(w, out);
}

} // namespace eup
