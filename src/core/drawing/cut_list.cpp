// The cut list on paper: what to buy, and every piece.
#include "core/assembly/part_words.h"
#include "core/drawing/table.h"
#include "core/drawing/wing_drawings.h"
#include "core/measure/figure.h"
#include <algorithm>
#include <fmt/format.h>
#include <map>

namespace eup {
namespace {

/// A piece and the panel that it is of.
struct Line {
  const TruePanel* panel;
  const Part* part;
  int count;
};

/// What is bought together.
struct Bought {
  std::string wood, from; ///< "Sitka spruce", "6 × 3 strip"
  Stock::Form form = Stock::Form::sheet;
  double length = 0, area = 0, longest = 0; ///< mm, mm²
  int pieces = 0;
};

/// A strip that tapers is bought parallel.
Stock boughtAs(Stock stock) {
  stock.thickness = stock.thicknessThen = std::max(stock.thickness, stock.thicknessThen);
  if (stock.form == Stock::Form::strip) stock.width = stock.widthThen = std::max(stock.width, stock.widthThen);
  return stock;
}

std::vector<Bought> boughtFor(const std::vector<Line>& lines) {
  std::map<std::pair<std::string, Stock>, Bought> all;
  for (const Line& l : lines) {
    const Stock stock = boughtAs(l.part->stock);
    Bought& b = all[{materialOf(*l.part, l.panel->design.tables), stock}];
    b.wood = materialOf(*l.part, l.panel->design.tables), b.from = wordsOf(stock, l.panel->design.unit),
    b.form = stock.form;
    const double length = cutLength(*l.part, l.panel->design.cutList.trim);
    b.length += l.count * length;
    b.area += l.count * length * l.part->breadth;
    b.longest = std::max(b.longest, length);
    b.pieces += l.count;
  }
  std::vector<Bought> out;
  out.reserve(all.size());
  for (auto& [key, b] : all) out.push_back(std::move(b));
  return out;
}

} // namespace

std::vector<Drawing> cutList(const DrawnWing& wing, Hand hand, double pageHeight) {
  std::vector<Drawing> blocks;
  const LengthUnit unit = wing.front().get().design.unit;
  const std::string in = unit == LengthUnit::mm ? "mm" : "inches";
  const CutList& order = wing.front().get().design.cutList;
  const auto len = [&](double mm) { return told(mm, Quantity::length, unit); };
  const auto put = [&](Drawing block) {
    block.title = "Cut list", block.wing = wing.front().get().design.name, block.hand = hand;
    blocks.push_back(std::move(block));
  };
  const auto words = [&](const std::string& text, double height) {
    Drawing d;
    d.write({0, 0}, text, height);
    put(std::move(d));
  };
  const auto table = [&](const std::string& head, const std::vector<double>& columns,
                         const std::vector<std::vector<std::string>>& rows) {
    // In pieces, so that a table begins under what stands before it; each has the head row again.
    const std::size_t each =
        std::clamp<std::size_t>(static_cast<std::size_t>(pageHeight / tableRow) - 4, std::size_t{4}, std::size_t{14});
    for (std::size_t from = 1; from < rows.size(); from += each) {
      std::vector<std::vector<std::string>> some{rows.front()};
      some.insert(some.end(), rows.begin() + static_cast<std::ptrdiff_t>(from),
                  rows.begin() + static_cast<std::ptrdiff_t>(std::min(from + each, rows.size())));
      put(tableOf(from == 1 ? head : std::string(), columns, some));
    }
  };
  std::vector<Line> lines;
  for (const TruePanel& panel : wing)
    for (const Part& part : panel.parts)
      if (const int count = countFor(part, hand, order); count > 0) lines.push_back({&panel, &part, count});
  words(fmt::format("{}  {} HAND", wing.front().get().design.name, nameLarge(hand)), 7);
  words(fmt::format("For {}{}; strips are left {} longer and trimmed when they are fitted",
                    order.batch == 1 ? std::string("one wing") : fmt::format("{} wings", order.batch),
                    order.spares == 0 ? std::string() : fmt::format(", {} more of every rib", order.spares),
                    len(order.trim)),
        3);
  std::vector<std::vector<std::string>> buy{{"To buy", "as (" + in + ")", "pieces", "in all", "longest"}};
  for (const Bought& b : boughtFor(lines)) {
    const bool flat = b.form == Stock::Form::sheet || b.form == Stock::Form::covering;
    buy.push_back({b.wood, b.from, fmt::format("{}", b.pieces),
                   flat ? told(b.area, Quantity::area, unit) + " of its pieces' boxes" : len(b.length),
                   len(b.longest)});
  }
  table("What to buy, without waste between the pieces", {0, 48, 90, 104, 148}, buy);
  std::vector<std::vector<std::string>> rows{
      {"Piece", "", "of", "from (" + in + ")", "cut to (" + in + ")", "grain", "drawn on"}};
  const bool several = wing.size() > 1;
  for (const Line& l : lines) {
    const char* drawn = l.part->drawn == DrawnOn::cutList ? "" : nameOf(l.part->drawn);
    rows.push_back({(several ? fmt::format("{}: ", l.panel->design.id.panel + 1) : std::string()) + l.part->name,
                    fmt::format("{} ×", l.count), materialOf(*l.part, l.panel->design.tables),
                    wordsOf(l.part->stock, unit), sizeOf(*l.part, unit, order.trim), wordsOf(l.part->grain), drawn});
  }
  table(several ? "Every piece, by panel" : "Every piece", {0, 43, 50, 86, 114, 136, 150}, rows);
  return blocks;
}

} // namespace eup
