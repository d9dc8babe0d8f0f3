#include "core/strength/part_masses.h"
#include <algorithm>
#include <map>

namespace eup {

double PanelMass::grams() const {
  double all = 0;
  for (const PartMass& p : parts) all += p.grams;
  return all;
}

double PanelMass::gramsOf(Part::What what) const {
  for (const PartMass& p : parts)
    if (p.what == what) return p.grams;
  return 0;
}

double gramsOf(const std::vector<Part>& parts) {
  double all = 0;
  for (const Part& p : parts) all += p.grams;
  return all;
}

PanelMass panelMass(const std::vector<Part>& parts, const std::vector<Rib>& ribs, double inboard) {
  PanelMass out;
  std::map<Part::What, double> kinds;
  struct Bay {
    double from, to, atFrom = 0, atTo = 0, lumps = 0;
  };
  std::vector<Bay> bays;
  for (std::size_t i = 1; i < ribs.size(); ++i)
    if (ribs[i].t() > ribs[i - 1].t()) bays.push_back({ribs[i - 1].t(), ribs[i].t()});
  constexpr double there = 1e-9; // mm: a rib's own place
  for (const Part& part : parts) {
    kinds[part.what()] += part.grams;
    for (const Part::Run& run : part.runs)
      for (Bay& bay : bays)
        if (std::abs(bay.from - run.from) < there) bay.atFrom += run.atFrom, bay.atTo += run.atTo;
    if (!part.runs.empty() || bays.empty()) continue;
    std::vector<Bay*> in; // the bay that it stands in, or the two that it stands between
    for (Bay& bay : bays)
      if (part.at > bay.from - there && part.at < bay.to + there) in.push_back(&bay);
    if (in.empty()) in.push_back(part.at < bays.front().from ? &bays.front() : &bays.back());
    for (Bay* bay : in) bay->lumps += part.grams / static_cast<double>(in.size());
  }
  for (const Bay& bay : bays) {
    const double spread = bay.lumps / (bay.to - bay.from);
    out.runs.push_back({inboard + bay.from, inboard + bay.to, bay.atFrom + spread, bay.atTo + spread});
  }
  for (const auto& [what, grams] : kinds)
    if (grams > 0) out.parts.push_back({what, grams});
  std::stable_sort(out.parts.begin(), out.parts.end(),
                   [](const PartMass& a, const PartMass& b) { return a.grams > b.grams; });
  return out;
}

} // namespace eup
