// Figures and findings of the model's balance.
#include "core/balance/lift_aside.h"
#include "core/report/report_parts.h"
#include "core/strength/loads.h"
#include "core/wing/holding.h"
#include "core/wing/model_balance.h"
#include <fmt/format.h>

namespace eup {
namespace {

const char* fromRoot = "aft of the main wing's leading edge at its root";
const char* moments = "moments about the root's leading edge";

/// "150 mm before the root's leading edge".
std::string placed(double aft, LengthUnit unit) {
  return fmt::format("{} {} the root's leading edge", told(std::abs(aft), Quantity::length, unit),
                     aft < 0 ? "before" : "aft of");
}

/// Strips of both hands of the main wing, and where their lift acts.
void liftAsideFigure(const TrueWing& w, FigureList& out) {
  const Flying& f = w.design.flying;
  if (!w.left || !w.main().mirrored || f.airSpeed <= 0) return;
  std::vector<LiftStrip> strips;
  double area = 0;
  for (const Hand hand : {Hand::right, Hand::left})
    for (const TruePanel& p : w.of(hand).main().panels) {
      constexpr int steps = 40; // a panel
      const double span = p.shape.loft.span(), step = span / steps;
      for (int i = 0; i < steps; ++i) {
        const ChordFrame frame = p.shape.loft.frameAt((i + 0.5) * step);
        const double beyond = p.design.inboard + (i + 0.5) * step;
        strips.push_back({hand == Hand::left ? -beyond : beyond, frame.chord * step, frame.washout});
        area += frame.chord * step;
      }
    }
  const double lift = f.mass * 1e-3 * standardGravity * w.design.wings.front().carries,
               coefficient = lift / (airDensity / 2 * f.airSpeed * f.airSpeed * area * 1e-6),
               slope = liftSlope(bothHands(w.main()).aspect), angle = coefficient / slope;
  const double aside = liftAside(strips, angle);
  const Posts& posts = w.design.wings.front().posts;
  const double from = posts.fitted ? posts.offset : 0;
  out.add({"balance.liftAside",
           aside - from >= 0 ? "Lift acts to the right by" : "Lift acts to the left by",
           std::abs(aside - from),
           Quantity::length,
           Stage::stock,
           fmt::format("of {}, at {}; the model rolls away from that side until something holds it",
                       posts.fitted ? "the posts" : "the wing's middle",
                       told(f.airSpeed, Quantity::speed, out.documentUnit())),
           "Σ area × angle × way from the middle ÷ Σ area × angle, over both hands",
           fmt::format("lift coefficient {:.3f} ÷ {:.2f} a rad: {} in the mean; {} {} of the middle", coefficient,
                       slope, out.deg(angle), out.len(std::abs(aside)), aside < 0 ? "left" : "right"),
           "strip theory, which tells more of it than there is: a wing evens its lift out along the span",
           {"wings.0.panels.0.left.washout", "flying.airSpeed", "flying.mass"}});
}

} // namespace

void balanceFigures(const TrueWing& w, FigureList& out) {
  const ModelBalance b = balanceOf(w);
  const Balance& d = w.design.balance;
  const LengthUnit unit = w.design.unit;
  const auto grams = [&](double g) { return told(g, Quantity::mass, unit); };
  const std::vector<std::string> from{"balance.glue", "balance.aboard.0.grams", "balance.aboard.0.aft"};
  const auto add = [&](const char* key, const char* label, double value, Quantity quantity, std::string where,
                       const char* rule, std::string working, const char* source, std::vector<std::string> decisions,
                       bool bench = false) {
    std::erase_if(decisions,
                  [&](const std::string& path) { return path.starts_with("balance.aboard.") && d.aboard.empty(); });
    out.add({std::string("balance.") + key, label, value, quantity, Stage::stock, std::move(where), rule,
             std::move(working), source, std::move(decisions), bench});
  };
  add("placed", b.complete() ? "All that is placed weighs" : "Wings and their glue weigh", b.all.grams, Quantity::mass,
      b.complete() ? "pieces of all wings, glue, what is aboard" : "nothing is aboard yet", "Σ of them",
      fmt::format("pieces {} + glue {} + aboard {} = {}", grams(b.pieces.grams), grams(b.glue.grams),
                  grams(b.aboard.grams), grams(b.all.grams)),
      "densities of the materials' table; glue as a share of the wood: common practice", from);
  if (b.weighed > 0)
    add("weighed", "Weighed pieces weigh more by", b.weighedMore, Quantity::mass,
        fmt::format("{} pieces, against what was reckoned; they count as weighed", b.weighed), "Σ (weighed − reckoned)",
        fmt::format("= {}", grams(b.weighedMore)), "the scales", {});
  add("at", b.complete() ? "Balances at" : "The wings balance at", b.all.at.x(), Quantity::length, fromRoot, moments,
      fmt::format("({:.0f} + {:.0f} + {:.0f}) g mm ÷ {}", b.pieces.grams * b.pieces.at.x(),
                  b.glue.grams * b.glue.at.x(), b.aboard.grams * b.aboard.at.x(), grams(b.all.grams)),
      "statics", from, b.complete());
  if (!b.lifts()) return;
  std::string shares;
  for (std::size_t i = 0; i < b.wings.size(); ++i) {
    const SurfaceShare& s = b.neutral.shares[i];
    const LiftingSurface& l = b.wings[i].surface;
    shares += fmt::format("{}{}: {:.2f} a rad × {} × {:.2f} × (1 − {:.3f}) at {}", shares.empty() ? "" : "; ",
                          b.wings[i].name, s.slope, told(l.area, Quantity::area, unit), l.flow, s.downwash,
                          out.len(l.quarterChord));
  }
  add("neutral", "Neutral point", b.neutral.aft, Quantity::length,
      fmt::format("{}; wings and tailplanes alone: fuselage and propeller move it forward", fromRoot),
      "Σ a S η (1 − dε/dα) x ÷ Σ a S η (1 − dε/dα)", shares,
      "wing and tail as in Etkin, Dynamics of Flight (from memory); downwash 2 a ÷ (π A) of Prandtl's lifting line",
      {"balance.tailFlow", "wings.0.panels.0.panel.rootChord", "wings.0.panels.0.panel.span"}, true);
  add("wanted", "Should balance at", b.wanted, Quantity::length, fromRoot, "neutral point − margin × mean chord",
      fmt::format("{} − {:.3f} × {} = {}, {:.1f} % of the mean chord", out.len(b.neutral.aft), d.margin,
                  out.len(b.meanChord), out.len(b.wanted), 100 * (b.wanted - b.meanChordLe) / b.meanChord),
      "a margin of 5 to 15 % is common practice", {"balance.margin"}, true);
  liftAsideFigure(w, out);
  if (!b.complete()) return;
  add("margin", "Margin as it is", (b.neutral.aft - b.all.at.x()) / b.meanChord, Quantity::percent,
      "of the main wing's mean chord, stick fixed", "(neutral point − balance point) ÷ mean chord",
      fmt::format("({} − {}) ÷ {}", out.len(b.neutral.aft), out.len(b.all.at.x()), out.len(b.meanChord)), moments, from,
      true);
  // More than the model itself at a place beside the balance point is no advice.
  if (const auto ballast = ballastFor(b.all, b.wanted, d.ballastAft); ballast && std::abs(*ballast) <= b.all.grams)
    add("ballast", *ballast >= 0 ? "Ballast to balance there" : "To be taken away there", std::abs(*ballast),
        Quantity::mass, placed(d.ballastAft, unit), "mass × (balance − wanted) ÷ (wanted − place of the ballast)",
        fmt::format("{} × ({} − {}) ÷ ({} − {})", grams(b.all.grams), out.len(b.all.at.x()), out.len(b.wanted),
                    out.len(b.wanted), out.len(d.ballastAft)),
        "statics", {"balance.ballastAft", "balance.margin"}, true);
  const Aboard& first = d.aboard.front();
  if (first.grams > 0) {
    const double back = (b.wanted - b.all.at.x()) * b.all.grams / first.grams;
    out.add({"balance.shift",
             fmt::format("Or move the {} {} by", first.name, back >= 0 ? "back" : "forward"),
             std::abs(back),
             Quantity::length,
             Stage::stock,
             "from " + placed(first.aft, unit) + " to " + placed(first.aft + back, unit),
             "way of the balance × all mass ÷ its mass",
             fmt::format("{} × {} ÷ {}", out.len(std::abs(b.wanted - b.all.at.x())), grams(b.all.grams),
                         grams(first.grams)),
             "statics",
             {"balance.aboard.0.aft", "balance.aboard.0.grams", "balance.margin"},
             true});
  }
  if (b.wingMove && std::abs(*b.wingMove) > 0.05)
    add("wingMove", *b.wingMove >= 0 ? "Or move the main wing aft by" : "Or move the main wing forward by",
        std::abs(*b.wingMove), Quantity::length, "all else stays where it is on the fuselage",
        "(balance − wanted) ÷ (its share of the lift − its share of the mass)",
        fmt::format("({} − {}) ÷ ({:.3f} − {:.3f})", out.len(b.all.at.x()), out.len(b.wanted),
                    (b.all.at.x() - b.wanted) / *b.wingMove +
                        (b.wings.front().grams + b.wings.front().glue) / b.all.grams,
                    (b.wings.front().grams + b.wings.front().glue) / b.all.grams),
        "statics; the neutral point goes with the wing by its share of Σ a S η (1 − dε/dα)", {"balance.margin"}, true);
  if (const auto posts = postsOf(w.main(), w.design.wings.front().posts); posts && b.wingMove)
    add("frontPost", "Front post on the fuselage, from where it is", *b.wingMove, Quantity::length,
        "aft positive; the rear one as far behind it as now", "as far as the wing moves",
        fmt::format("{}; then {} aft of where the root's leading edge is now", out.len(*b.wingMove),
                    out.len(posts->frontAft + *b.wingMove)),
        "statics", {"balance.margin", "wings.0.posts.front"}, true);
  const double tipMass = std::abs(b.rightMore) / b.tipOut;
  constexpr double worthSaying = 0.01; // g
  if (tipMass > worthSaying)
    add("tip", "To be put at the lighter tip", tipMass, Quantity::mass,
        fmt::format("at the {} tip, {} from the middle", b.rightMore > 0 ? "left" : "right", out.len(b.tipOut)),
        "moment to one side ÷ way from the middle to the tip",
        fmt::format("{:.0f} g mm ÷ {}", std::abs(b.rightMore), out.len(b.tipOut)), "statics",
        {"balance.aboard.0.right"}, true);
  add("unplaced", "Of the model not placed yet", w.design.flying.mass - b.all.grams, Quantity::mass,
      "the mass that loads are worked with, less all that is placed", "model mass − Σ",
      fmt::format("{} − {}", grams(w.design.flying.mass), grams(b.all.grams)), "subtraction", {"flying.mass"});
  add("loading", "Wing loading with what is placed", b.all.grams / (b.area / 1e4), Quantity::loading,
      "on the main wing's area with its tips", "mass ÷ area",
      fmt::format("{} ÷ {}; aspect ratio {:.2f} with tips", grams(b.all.grams), told(b.area, Quantity::area, unit),
                  b.aspect),
      planeGeometry, {"wings.0.panels.0.panel.span", "wings.0.panels.0.panel.rootChord"});
}

void balanceFindings(const TrueWing& w, std::vector<Finding>& out) {
  const Balance& d = w.design.balance;
  if (d.aboard.empty() && d.weighed.empty()) return;
  const ModelBalance b = balanceOf(w);
  const LengthUnit unit = w.design.unit;
  const auto len = [&](double mm) { return told(mm, Quantity::length, unit); };
  if (!b.gone.empty())
    out.push_back({"balance.gone",
                   Severity::note,
                   Stage::stock,
                   "A piece that was weighed is no longer in the wing",
                   fmt::format("{} of them, {} among them: they count for nothing.", b.gone.size(), b.gone.front()),
                   "Weigh what is there now, or take the weights out.",
                   {},
                   {}});
  if (!b.complete()) return;
  const double margin = (b.neutral.aft - b.all.at.x()) / b.meanChord;
  constexpr double near = 0.005; // of the mean chord: nobody balances closer
  if (margin < d.margin - near)
    out.push_back(
        {"balance.margin",
         margin < 0 ? Severity::serious : Severity::warning,
         Stage::stock,
         margin < 0 ? "The model balances behind its neutral point" : "The model balances farther aft than wanted",
         fmt::format("At {}; wanted {}, neutral point {}.", len(b.all.at.x()), len(b.wanted), len(b.neutral.aft)),
         "Move something forward, or put ballast in; reckon with the fuselage, which is not in it.",
         {},
         {"balance.aboard.0.aft", "balance.margin", "balance.ballastAft"}});
  const double unplaced = w.design.flying.mass - b.all.grams;
  constexpr double share = 0.05;
  if (std::abs(unplaced) > share * w.design.flying.mass)
    out.push_back(
        {"balance.mass",
         Severity::note,
         Stage::stock,
         unplaced > 0 ? "The model's mass is not all placed" : "More is placed than the model is said to weigh",
         fmt::format("{} {}.", told(std::abs(unplaced), Quantity::mass, unit),
                     unplaced > 0 ? "are missing" : "too much"),
         "Add what is aboard (fuselage, tail, motor, radio), or correct the model's mass.",
         {},
         {"flying.mass", "balance.aboard.0.grams"}});
}

} // namespace eup
