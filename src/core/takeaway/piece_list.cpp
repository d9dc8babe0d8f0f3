#include "core/takeaway/piece_list.h"
#include "core/assembly/part_words.h"
#include "core/assembly/piece_finder.h"
#include "core/wing/run_over.h"
#include <fmt/format.h>

namespace eup {

/// One piece as it is cut, whichever hand it goes into: closer than it can be cut.
static bool alike(const Part& a, const Part& b) {
  constexpr double asCut = 0.02, shareOfArea = 0.001; // mm
  const auto near = [](double x, double y, double by) { return std::abs(x - y) <= by; };
  return a.material == b.material && a.stock.form == b.stock.form &&
         near(a.stock.thickness, b.stock.thickness, asCut) && near(a.stock.width, b.stock.width, asCut) &&
         a.count == b.count && near(a.length, b.length, asCut) && near(a.breadth, b.breadth, asCut) &&
         near(a.area, b.area, shareOfArea * a.area);
}

static const Part* partNamed(const TruePanel& panel, const PieceId& id) {
  return PieceFinder(panel.parts).find(id);
}

/// What the left hand, of its own, has of a piece of both.
static double gramsOfOther(const TrueWing& w, const WholeWing& right, int panel, const PieceId& id) {
  const WholeWing& left = w.left->wing(right.panels.front().design.id.wing);
  const Part* part = partNamed(left.panels[static_cast<std::size_t>(panel)], id);
  return part ? gramsWhole(left, panel, *part) : 0;
}

static PieceLine lineOf(const TrueWing& w, const WholeWing& wing, std::size_t k, const Part& part,
                        std::optional<Hand> only) {
  PieceLine line{&wing.panels[k], &part};
  line.only = only;
  if (only != Hand::left) line.right = countFor(part, Hand::right, w.design.cutList);
  if (wing.mirrored && only != Hand::right) line.left = countFor(part, Hand::left, w.design.cutList);
  const double own = gramsWhole(wing, static_cast<int>(k), part),
               left = !wing.mirrored || only  ? 0
                      : w.left && part.shared ? gramsOfOther(w, wing, static_cast<int>(k), part.id)
                                              : own;
  line.gramsEach = (own + (part.shared ? left : 0)) / part.count;
  line.grams = own + left;
  line.centre = wing.inSpace[k].at(part.centre.x(), part.centre.y(), part.centre.z());
  if (only == Hand::left) line.centre.y() *= -1;
  return line;
}

std::vector<PieceLine> pieceList(const TrueWing& w) {
  std::vector<PieceLine> out;
  for (std::size_t i = 0; i < w.wings.size(); ++i)
    for (std::size_t k = 0; k < w.wings[i].panels.size(); ++k) {
      const WholeWing& right = w.wings[i];
      const WholeWing* left = w.left && right.mirrored ? &w.left->wings[i] : nullptr;
      for (const Part& part : right.panels[k].parts) {
        if (part.toldAs) continue;
        const Part* other = left && !part.shared ? partNamed(left->panels[k], part.id) : nullptr;
        const bool same = !left || part.shared || (other && alike(part, *other));
        out.push_back(lineOf(w, right, k, part, same ? std::optional<Hand>() : Hand::right));
        if (same && other)
          out.back().grams =
              gramsWhole(right, static_cast<int>(k), part) + gramsWhole(*left, static_cast<int>(k), *other);
        if (!same && other) out.push_back(lineOf(w, *left, k, *other, Hand::left));
      }
      for (const Part& part : left ? left->panels[k].parts : std::vector<Part>{}) // what the right one has not
        if (part.toldWith(Hand::left) && !partNamed(right.panels[k], part.id))
          out.push_back(lineOf(w, *left, k, *partNamed(left->panels[k], part.id), Hand::left));
    }
  return out;
}

std::string materialOf(const PieceLine& line) {
  return materialOf(*line.part, line.panel->design.tables);
}

const char* handsOf(const PieceLine& line) {
  if (line.part->shared) return "one for both";
  return line.only == Hand::left ? "left" : line.left > 0 ? "right and left" : "right";
}

std::string nameOf(const PieceLine& line) {
  return !line.only ? line.part->name : fmt::format("{}, {} hand", line.part->name, name(*line.only));
}

Table pieceTable(const TrueWing& w) {
  Table table;
  table.columns = {"wing",
                   "panel",
                   "key",
                   "name",
                   "hands",
                   "right",
                   "left",
                   "material",
                   "form",
                   "stock_mm",
                   "stock_width_mm",
                   "stock_to_mm",
                   "stock_width_to_mm",
                   "cut_to_mm",
                   "length_mm",
                   "breadth_mm",
                   "area_mm2",
                   "grain",
                   "drawn_on",
                   "bay",
                   "grams_each",
                   "grams",
                   "centre_x_mm",
                   "centre_y_mm",
                   "centre_z_mm"};
  const auto cell = [](double value) { return fmt::format("{:.5f}", value); };
  for (const PieceLine& l : pieceList(w)) {
    const Part& p = *l.part;
    const PanelId id = l.panel->design.id;
    table.rows.push_back({std::to_string(id.wing + 1),
                          std::to_string(id.panel + 1),
                          p.key(),
                          p.name,
                          handsOf(l),
                          std::to_string(l.right),
                          std::to_string(l.left),
                          materialOf(l),
                          nameOf(p.stock.form),
                          cell(p.stock.thickness),
                          cell(p.stock.width),
                          cell(p.stock.thicknessThen),
                          cell(p.stock.widthThen),
                          cell(cutLength(p, w.design.cutList.trim)),
                          cell(p.length),
                          cell(p.breadth),
                          cell(p.area),
                          wordsOf(p.grain),
                          nameOf(p.drawn),
                          p.bay > 0 ? std::to_string(p.bay) : std::string(),
                          cell(l.gramsEach),
                          cell(l.grams),
                          cell(l.centre.x()),
                          cell(l.centre.y()),
                          cell(l.centre.z())});
  }
  return table;
}

} // namespace eup
