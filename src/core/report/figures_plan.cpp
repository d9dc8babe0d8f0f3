// Figures and findings of the plan that was measured.
#include "core/report/finder.h"
#include "core/report/report_parts.h"
#include <fmt/format.h>

namespace eup {

void planFigures(const TrueWing& w, FigureList& out) {
  const auto& sheets = w.plan.sheets;
  for (std::size_t i = 0; i < sheets.size(); ++i) {
    const PlanSheet& s = w.design.plan.sheets[i];
    const TrueSheet& t = sheets[i].sheet;
    const std::string source =
        t.seen == Seen::perspective ? "plane projective geometry, four points" : "least squares over the known lengths";
    const auto key = [&](const char* what) { return fmt::format("plan.sheet{}.{}", i + 1, what); };
    const double nominal = s.dpi > 0 ? mmPerInch / s.dpi : 0;
    const auto scale = [&](const char* what, const char* label, double mmPerPixel) {
      if (nominal <= 0 || t.seen == Seen::nothing || t.seen == Seen::perspective) return;
      out.add({key(what),
               fmt::format("{}, {}", s.name, label),
               nominal / mmPerPixel,
               Quantity::percent,
               Stage::plan,
               "on the print",
               "printed length ÷ true length",
               fmt::format("{:.5f} mm a pixel at {:.1f} pixels an inch ÷ {:.5f} mm found", nominal, s.dpi, mmPerPixel),
               source,
               {}});
    };
    scale("along", "print along", t.along);
    if (t.seen != Seen::oneScale) scale("across", "print across", t.across);
    if (t.seen == Seen::twoScalesSkew)
      out.add({key("skew"),
               fmt::format("{}, out of square", s.name),
               t.skew,
               Quantity::angle,
               Stage::plan,
               "on the print",
               "angle by which a right angle on the sheet is off",
               fmt::format("= {}", out.deg(t.skew)),
               source,
               {}});
    double worst = 0;
    std::string which;
    for (std::size_t k = 0; k < t.residuals.size(); ++k)
      if (std::abs(t.residuals[k]) > std::abs(worst)) worst = t.residuals[k], which = s.lengths[k].name;
    if (!which.empty())
      out.add({key("residual"),
               fmt::format("{}, worst known length", s.name),
               worst,
               Quantity::length,
               Stage::plan,
               which,
               "measured with the sheet made true − known",
               fmt::format("{}: {}", which, out.len(worst)),
               source,
               {}});
  }
  for (const DrawnHand& hand : w.plan.hands)
    for (const ReadLine& line : hand.lines) {
      if (line.kind != ReadingKind::leadingEdge && line.kind != ReadingKind::trailingEdge) continue;
      const bool le = line.kind == ReadingKind::leadingEdge;
      out.add({fmt::format("plan.{}.{}Sweep.panel{}", name(hand.hand), le ? "le" : "te", line.panel),
               fmt::format("{} sweep read, {}{}", le ? "LE" : "TE", name(hand.hand),
                           line.panel > 1 ? fmt::format(", panel {}", line.panel) : ""),
               std::atan(line.slope),
               Quantity::angle,
               Stage::plan,
               "on the plan, against square to the root",
               "slope of the straight line through the readings",
               fmt::format("atan({:.5f}) = {}", line.slope, out.deg(std::atan(line.slope))),
               "least squares",
               {}});
    }
  const PlanLayout& l = w.plan.layout;
  const auto read = [&](const char* what, const char* label, const std::optional<double>& value, const char* rule) {
    if (value)
      out.add({fmt::format("plan.{}", what),
               label,
               *value,
               Quantity::length,
               Stage::plan,
               "on the plan",
               rule,
               fmt::format("= {}", out.len(*value)),
               "the readings, as the judgements were taken or left",
               {},
               true});
  };
  read("halfSpan", "Half span read", l.halfSpan, "from the root rib to the tip rib");
  read("rootChord", "Root chord read", l.rootChord, "between the edges' lines at the root");
  read("tipChord", "Tip chord read", l.tipChord, "between the edges' lines at the tip");
}

void planFindings(const TrueWing& w, std::vector<Finding>& out) {
  const auto add = [&](const char* key, Severity severity, std::string what, std::string detail, std::string remedy) {
    out.push_back({key, severity, Stage::plan, std::move(what), std::move(detail), std::move(remedy)});
  };
  for (std::size_t i = 0; i < w.plan.sheets.size(); ++i) {
    const LaidSheet& laid = w.plan.sheets[i];
    const PlanSheet& s = w.design.plan.sheets[i];
    if (laid.problem) {
      add("plan.calibration", Severity::warning, fmt::format("{} is not made true", s.name), laid.problem->text(),
          "Read the known lengths or corners again.");
      continue;
    }
    const TrueSheet& t = laid.sheet;
    if (t.seen == Seen::nothing)
      add("plan.unmeasured", Severity::note, fmt::format("{} is not made true yet", s.name), t.words.front(),
          "Read a known length along and one across.");
    if (t.untrue)
      add("plan.stretch", Severity::note, fmt::format("{}: {}", s.name, t.words.front()),
          "The readings are put right by it; do not measure off the print itself.",
          "Build over a print of Euptera's own plan.");
    constexpr double misfit = 0.5;
    for (std::size_t k = 0; k < t.residuals.size(); ++k)
      if (std::abs(t.residuals[k]) > std::max(misfit, 0.003 * s.lengths[k].length))
        add("plan.residual", Severity::warning,
            fmt::format("{}: “{}” does not fit the others", s.name, s.lengths[k].name),
            fmt::format("It measures {} off with the sheet made true.",
                        told(t.residuals[k], Quantity::length, w.design.unit)),
            "Check what was typed, and its two ends.");
    if (laid.matched && laid.matchMisfit > misfit)
      add("plan.match", Severity::warning, fmt::format("{} does not match its neighbour", s.name),
          fmt::format("Its match marks lie {} apart.", told(laid.matchMisfit, Quantity::length, w.design.unit)),
          "Check the marks and both sheets' known lengths.");
  }
  for (const Judgement& j : w.plan.judgements)
    if (j.fault)
      add("plan.judgement", Severity::warning, j.what, j.detail,
          "Take or leave it under Judge: " + (j.take ? "now taken. " + j.taken : "now left. " + j.left));
}

void sectionFindings(Finder f) {
  const TruePanel& w = f.w;
  for (const bool root : {true, false}) {
    const SectionChoice& choice = root ? w.design.sections.root : w.design.sections.tip;
    const std::vector<std::string> cure{fmt::format("sections.{}.kind", root ? "root" : "tip")};
    if (choice.kind == SectionKind::traced)
      if (const auto fit = fitTrace(choice.traced); !fit)
        f.say({"section.trace",
               Severity::serious,
               Stage::sections,
               fmt::format("The {} section cannot be traced", root ? "root" : "tip"),
               fit.problem().text() + ". NACA 0009 stands in for it.",
               "Read its outline on the plan, or choose another source.",
               {},
               cure});
    const Section& s = root ? w.shape.rootSection : w.shape.tipSection;
    for (int i = section_grid::noseSteps + 2; i + 1 < section_grid::points; ++i) {
      const auto k = static_cast<std::size_t>(i);
      if (s.upper[k].y() - s.lower[k].y() > 1e-5) continue;
      f.say({"section.crossed",
             Severity::serious,
             Stage::sections,
             fmt::format("The {} section's surfaces cross", root ? "root" : "tip"),
             fmt::format("At {:.0f} % of the chord nothing is left between them.", section_grid::fraction(i) * 100),
             "Take back the last step.",
             {},
             cure});
      break;
    }
  }
}

} // namespace eup
