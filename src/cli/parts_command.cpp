#include "cli/parts_command.h"
#include "core/assembly/part_words.h"
#include "core/files/json.h"
#include "core/takeaway/piece_list.h"
#include <fmt/format.h>
#include <ostream>

namespace eup::cli {
namespace {

Json jsonOf(const PieceLine& l, double trim) {
  const Part& p = *l.part;
  const PanelId id = l.panel->design.id;
  Json stock{{"form", nameOf(p.stock.form)}};
  switch (p.stock.form) {
  case Stock::Form::sheet:
    stock["thickness"] = p.stock.thickness;
    break;
  case Stock::Form::strip:
  case Stock::Form::block:
    stock["width"] = p.stock.width, stock["depth"] = p.stock.thickness;
    if (p.stock.tapers()) stock["widthThen"] = p.stock.widthThen, stock["depthThen"] = p.stock.thicknessThen;
    break;
  case Stock::Form::rod:
    stock["diameter"] = p.stock.thickness, stock["bore"] = p.stock.width;
    break;
  case Stock::Form::covering:
    break;
  }
  Json out{{"wing", id.wing + 1},
           {"panel", id.panel + 1},
           {"key", p.key()},
           {"name", p.name},
           {"hands", handsOf(l)},
           {"right", l.right},
           {"left", l.left},
           {"material", materialOf(l)},
           {"stock", std::move(stock)},
           {"cutTo", cutLength(p, trim)},
           {"length", p.length},
           {"breadth", p.breadth},
           {"area", p.area},
           {"grain", wordsOf(p.grain)},
           {"drawnOn", nameOf(p.drawn)},
           {"gramsEach", l.gramsEach},
           {"grams", l.grams},
           {"centre", {l.centre.x(), l.centre.y(), l.centre.z()}}};
  if (p.bay > 0) out["bay"] = p.bay;
  if (p.rib) out["rib"] = *p.rib;
  return out;
}

} // namespace

void tellParts(const TrueWing& w, PartsAs as, std::ostream& out) {
  if (as == PartsAs::csv) {
    out << toCsv(pieceTable(w));
    return;
  }
  const std::vector<PieceLine> lines = pieceList(w);
  const CutList& order = w.design.cutList;
  double grams = 0;
  for (const PieceLine& l : lines) grams += l.grams;
  if (as == PartsAs::json) {
    Json root{{"wing", w.design.name}, {"unit", {{"length", "mm"}, {"area", "mm2"}, {"mass", "g"}}},
              {"trim", order.trim},    {"spares", order.spares},
              {"batch", order.batch},  {"grams", grams},
              {"parts", Json::array()}};
    for (const PieceLine& l : lines) root["parts"].push_back(jsonOf(l, order.trim));
    out << root.dump(2) << '\n';
    return;
  }
  for (const PieceLine& l : lines) {
    const PanelId id = l.panel->design.id;
    out << fmt::format("{}.{}  {:28} {:>3} + {:<3} {:26} {:28} {:24} {:>9}\n", id.wing + 1, id.panel + 1, l.part->name,
                       l.right, l.left, materialOf(l), wordsOf(l.part->stock, w.design.unit),
                       sizeOf(*l.part, w.design.unit, order.trim), told(l.grams, Quantity::mass, w.design.unit));
  }
  out << fmt::format("all of it, both hands: {}\n", told(grams, Quantity::mass, w.design.unit));
}

} // namespace eup::cli
