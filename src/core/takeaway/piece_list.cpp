#include "core/takeaway/piece_list.h"
#include "core/parts/part_words.h"
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

static const Part* partNamed(const TruePanel& panel, const std::string& key) {
  for (const Part& part : panel.parts)
    if (part.key == key) return &part;
  return nullptr;
}

static PieceLine lineOf(const TrueWing& w, const WholeWing& wing, std::size_t k, const Part& part,
                        std::optional<Hand> only) {
  PieceLine line{&wing.panels[k], &part};
  line.only = only;
  if (only != Hand::left) line.right = countFor(part, Hand::right, w.design.cutList);
  if (wing.mirrored && only != Hand::right) line.left = countFor(part, Hand::left, w.design.cutList);
  line.gramsEach = part.grams * (part.shared ? 2 : 1) / part.count;
  line.grams = part.grams * (wing.mirrored && !only ? 2 : 1);
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
        const Part* other = left && !part.shared ? partNamed(left->panels[k], part.key) : nullptr;
        const bool same = !left || part.shared || (other && alike(part, *other));
        out.push_back(lineOf(w, right, k, part, same ? std::optional<Hand>() : Hand::right));
        if (same && other) out.back().grams = part.grams + other->grams;
        if (!same && other) out.push_back(lineOf(w, *left, k, *other, Hand::left));
      }
      for (const Part& part : left ? left->panels[k].parts : std::vector<Part>{}) // what the right one has not
        if (!part.shared && !partNamed(right.panels[k], part.key))
          out.push_back(lineOf(w, *left, k, *partNamed(left->panels[k], part.key), Hand::left));
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

namespace {

const Rib* ribOf(const TruePanel& panel, const Part& part) {
  if (part.key.starts_with("stick.")) return &panel.rib(*part.rib);
  const std::string name = "R" + part.key.substr(part.key.find('.') + 1); // "rib.4.2", "capStrip.4.2.top"
  for (const std::vector<Rib>* ribs : {&panel.frame.ribs, &panel.frame.riblets})
    for (const Rib& rib : *ribs)
      if (name == rib.name() || name.starts_with(rib.name() + ".top") || name.starts_with(rib.name() + ".bottom"))
        return &rib;
  return nullptr;
}

/// As wide as the stock, along its middle line.
Polyline bar(const Part& part) {
  const Point a(part.from.x(), part.from.y()), b(part.to.x(), part.to.y());
  const double wide = part.stock.form == Stock::Form::strip   ? std::max(part.stock.width, part.stock.widthThen)
                      : part.what == Part::What::trailingEdge ? part.breadth
                                                              : part.stock.thickness;
  const Point along = (b - a).normalized(), square = Point(-along.y(), along.x()) * (wide / 2);
  return {a - square, b - square, b + square, a + square};
}

/// A cap strip, behind the sheet or the leading edge stock.
Polyline stripOnRib(const Rib& rib, const Part& part) {
  const double half = part.stock.width / 2, middle = (rib.body().first + rib.body().second) / 2;
  const Point3 out(-std::sin(rib.turn), std::cos(rib.turn), 0);
  const auto corner = [&](double x, double side) -> Point {
    const Point3 p = rib.inPanel({x, 0}) + out * (middle + side * half);
    return {p.x(), p.y()};
  };
  const Point3 centre = part.centre - rib.inPanel({0, 0});
  const double x = centre.head<2>().norm(), reach = part.length / 2;
  return {corner(x - reach, -1), corner(x + reach, -1), corner(x + reach, 1), corner(x - reach, 1)};
}

/// All of it.
Polyline wholeFromAbove(const TruePanel& panel) {
  Polyline front, rear;
  for (const Rib& rib : panel.frame.ribs) {
    const double t = std::clamp(rib.t(), 0.0, panel.shape.loft.span());
    const ChordFrame frame = panel.shape.loft.frameAt(t);
    front.emplace_back(frame.le.x(), t);
    rear.emplace_back(frame.te.x(), t);
  }
  front.insert(front.end(), rear.rbegin(), rear.rend());
  return front;
}

Polyline skinFromAbove(const TruePanel& panel, const Part& part) {
  for (const Skin& skin : panel.skins) {
    if (skin.piece == part.key) return skin.plan;
    if (!part.key.starts_with(skin.piece + ".") || part.runs.empty()) continue;
    const Region piece =
        intersect({skin.plan}, {rectangle({-1e5, part.runs.front().from}, {1e5, part.runs.back().to})});
    if (!piece.empty()) return piece.front();
  }
  return {};
}

} // namespace

Polyline seenFromAbove(const TruePanel& panel, const Part& part) {
  switch (part.what) {
  case Part::What::ribs:
    if (const Rib* rib = ribOf(panel, part)) return seenFromAbove(*rib);
    return {};
  case Part::What::capStrips:
    if (const Rib* rib = ribOf(panel, part)) return stripOnRib(*rib, part);
    return {};
  case Part::What::sheet:
    return skinFromAbove(panel, part);
  case Part::What::covering:
    return wholeFromAbove(panel);
  case Part::What::core: {
    if (part.bay > 0) { // between two ribs
      const auto k = static_cast<std::size_t>(part.bay);
      if (k >= panel.frame.ribs.size()) return {};
      const Rib &in = panel.frame.ribs[k - 1], &out = panel.frame.ribs[k];
      const auto at = [](const Rib& rib, double x) -> Point {
        const Point3 p = rib.inPanel({x, 0});
        return {p.x(), p.y()};
      };
      const Box a = boundsOf(in.wood), b = boundsOf(out.wood);
      return {at(in, a.low.x()), at(in, a.high.x()), at(out, b.high.x()), at(out, b.low.x())};
    }
    if (!panel.foam) return {};
    const double front = panel.design.leading.onRib(), tail = panel.design.trailing.onRib();
    for (const FoamCore& core : panel.foam->cores) {
      if (part.key != fmt::format("core.{}", core.number)) continue;
      const auto at = [&](const CoreEnd& end, double x) -> Point { return {end.frame.fromChord({x, 0}).x(), end.t}; };
      return {at(core.inner, front), at(core.inner, core.inner.frame.chord - tail),
              at(core.outer, core.outer.frame.chord - tail), at(core.outer, front)};
    }
    return {};
  }
  case Part::What::inCore: { // as wide as it is along the chord
    const double half = part.breadth / 2;
    if (part.stock.form == Stock::Form::sheet) return {{part.from.x(), part.from.y()}, {part.to.x(), part.to.y()}};
    return {{part.from.x() - half, part.from.y()},
            {part.from.x() + half, part.from.y()},
            {part.to.x() + half, part.to.y()},
            {part.to.x() - half, part.to.y()}};
  }
  case Part::What::surface: {
    const bool sheet = part.stock.form == Stock::Form::sheet, along = (part.to - part.from).norm() > 1;
    if (along) { // from end to end: as thick as its sheet, or as wide as it is
      const double half = (sheet ? part.stock.thickness : part.breadth) / 2;
      return {{part.from.x() - half, part.from.y()},
              {part.from.x() + half, part.from.y()},
              {part.to.x() + half, part.to.y()},
              {part.to.x() - half, part.to.y()}};
    }
    const bool chordwise = part.grain == GrainWay::chord;
    const Point half =
        chordwise ? Point(part.length / 2, part.stock.thickness / 2) : Point(part.breadth / 2, part.length / 2);
    const Point middle(part.centre.x(), part.centre.y());
    return rectangle(middle - half, middle + half);
  }
  case Part::What::tip: {
    Polyline out;
    const double span = panel.shape.loft.span();
    const ChordFrame frame = panel.shape.loft.frameAt(span);
    const double deep = panel.tip ? panel.tip->reach : 0;
    Polyline plan = panel.tip ? panel.tip->edge : Polyline{};
    if (panel.tip && part.key.starts_with("tip.")) // one piece of several
      for (std::size_t i = 0; i < panel.tip->pieces.size(); ++i)
        if (part.key == fmt::format("tip.{}", i + 1)) plan = panel.tip->pieces[i].outline;
    if (plan.empty()) plan = {{0, 0}, {0, deep}, {frame.chord, deep}, {frame.chord, 0}}; // a plate
    for (const Point& p : plan) out.emplace_back(frame.fromChord({p.x(), 0}).x(), span + p.y());
    return out;
  }
  default:
    return part.from == part.to ? Polyline{} : bar(part);
  }
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
                          p.key,
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
