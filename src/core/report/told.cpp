#include "core/report/told.h"
#include "core/report/report_parts.h"
#include <algorithm>
#include <map>
#include <mutex>

namespace eup {
namespace {

struct StagesTold {
  std::array<std::once_flag, std::size(allStages)> once;
  std::array<std::vector<Figure>, std::size(allStages)> figures;
};

} // namespace

const std::vector<Figure>& figuresOf(const TrueWing& wing, Stage stage) {
  struct Kept {
    std::unique_ptr<StagesTold> stages = std::make_unique<StagesTold>();
  };
  StagesTold& told = *wing.asked->get<Kept>([] { return Kept{}; }).stages;
  const auto k = static_cast<std::size_t>(stage);
  std::call_once(told.once[k], [&] { told.figures[k] = tradesFigures(wing, stage); });
  return told.figures[k];
}

/// Of a left hand of its own: what is not as in the right one.
static void addLeft(const TrueWing& left, std::vector<Figure>& all) {
  std::map<std::string_view, const Figure*> right;
  for (const Figure& f : all) right.emplace(f.key, &f);
  std::vector<Figure> more;
  for (const Stage stage : allStages) {
    if (stage == Stage::plan) continue;
    for (const Figure& f : figuresOf(left, stage)) {
      const auto same = right.find(f.key);
      const bool ofOneHand =
          f.panel || f.rib || f.key.find("strut") != std::string::npos || f.key.find("assembly.") != std::string::npos;
      if (!ofOneHand || (same != right.end() && std::abs(same->second->value - f.value) < 1e-9)) continue;
      more.push_back(f);
      more.back().key.insert(0, "left.");
      more.back().label += ", left hand";
      more.back().bench = false; // the right one's is shown large
      if (f.panel) more.back().decisions.push_back(pathOf({f.wing, *f.panel}) + "left.differs");
    }
  }
  all.insert(all.end(), more.begin(), more.end());
}

std::vector<Figure> figuresOf(const TrueWing& wing) {
  std::vector<Figure> all;
  for (const Stage stage : allStages) {
    const std::vector<Figure>& some = figuresOf(wing, stage);
    all.insert(all.end(), some.begin(), some.end());
  }
  if (wing.left) addLeft(*wing.left, all);
  return all;
}

const Figure* figureNamed(const TrueWing& wing, std::string_view key) {
  for (const Stage stage : allStages)
    for (const Figure& f : figuresOf(wing, stage))
      if (f.key == key) return &f;
  return nullptr;
}

/// Adds what is found of a left hand of its own alone; what is said of the whole model is said of both hands already.
static void addFindingsOfLeft(const TrueWing& left, std::vector<Finding>& findings) {
  const auto known = [&](const Finding& f) {
    return std::any_of(findings.begin(), findings.end(), [&](const Finding& r) {
      return r.key == f.key && r.rib == f.rib && r.panel == f.panel && r.wing == f.wing;
    });
  };
  std::vector<Finding> more;
  for (const Finding& f : findingsOf(left))
    if ((f.panel || f.key.starts_with("strut") || f.key.starts_with("soft")) && !known(f)) {
      more.push_back(f);
      more.back().what.insert(0, leftHandSays);
    }
  findings.insert(findings.end(), more.begin(), more.end());
  std::stable_sort(findings.begin(), findings.end(),
                   [](const Finding& a, const Finding& b) { return a.severity > b.severity; });
}

const std::vector<Finding>& findingsOf(const TrueWing& wing) {
  struct Kept {
    std::vector<Finding> findings;
  };
  return wing.asked
      ->get<Kept>([&] {
        Kept kept{tradesFindings(wing)};
        if (wing.left) addFindingsOfLeft(*wing.left, kept.findings);
        return kept;
      })
      .findings;
}

std::vector<Finding> findingsOf(TrueWing&& wing) {
  return findingsOf(static_cast<const TrueWing&>(wing));
}

} // namespace eup
