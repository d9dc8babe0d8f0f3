#include "support.h"
#include "core/section/naca.h"
#include <fstream>
#include <sstream>

namespace eup::test {

TrueWing wingOf(const Design& design) {
  auto result = work(design);
  if (auto* findings = std::get_if<std::vector<Finding>>(&result)) {
    ADD_FAILURE() << "impossible: " << (findings->empty() ? "" : findings->front().what);
    return std::get<TrueWing>(work(Design{}));
  }
  return std::get<TrueWing>(std::move(result));
}

double figureOf(const TrueWing& wing, const std::string& key) {
  const Figure* f = figureNamed(wing, key);
  EXPECT_NE(f, nullptr) << key;
  return f ? f->value : 0;
}

bool hasFinding(const std::vector<Finding>& findings, std::string_view key) {
  return std::any_of(findings.begin(), findings.end(), [&](const Finding& f) { return f.key == key; });
}

std::string slurp(const std::filesystem::path& path) {
  std::ifstream in(path, std::ios::binary);
  std::stringstream all;
  all << in.rdbuf();
  return all.str();
}

nlohmann::json jsonOf(const std::string& text) {
  return nlohmann::json::parse(text);
}

Section naca(const char* digits) {
  return makeNaca(readNaca(digits).value());
}

Panel panelOf(double span, double rootChord, double tipChord, double setback, double washoutDeg, double axis) {
  Panel p;
  p.span = span;
  p.rootChord = rootChord;
  p.tipChord = tipChord;
  p.tipSetback = setback;
  p.washoutDeg = washoutDeg;
  p.washoutAxis = axis;
  return p;
}

Design bareDesign() {
  Design d;
  d.inner().sheeting.top = d.inner().sheeting.bottom = false;
  d.inner().capStrips.top = d.inner().capStrips.bottom = false;
  d.inner().leadingEdge.kind = LeadingEdgeKind::none;
  d.inner().trailingEdge.kind = TrailingEdgeKind::none;
  d.inner().spars.clear();
  d.inner().join.braces.clear();
  return d;
}

Design foamDesign(const Panel& panel, double tail) {
  Design d = bareDesign();
  PanelDesign& p = d.inner();
  p.built = Built::foam;
  p.panel = panel;
  p.sheeting.top = p.sheeting.bottom = true, p.sheeting.thickness = 1;
  p.leadingEdge.kind = LeadingEdgeKind::square, p.leadingEdge.width = 6;
  p.trailingEdge.kind = TrailingEdgeKind::wedge, p.trailingEdge.width = tail;
  return d;
}

} // namespace eup::test
