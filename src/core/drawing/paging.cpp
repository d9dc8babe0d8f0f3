#include "core/drawing/paging.h"
#include <algorithm>
#include <numeric>

namespace eup {
namespace {

Drawing emptyLike(const Drawing& d) {
  Drawing sheet;
  sheet.title = d.title, sheet.wing = d.wing, sheet.hand = d.hand;
  return sheet;
}

/// A row of parts on a sheet: how far it is filled, and where it stands.
struct Row {
  std::size_t sheet;
  double y, high, used;
};

/// Turned where it fits on a sheet only that way.
Drawing asItFits(const Drawing& part, const Point& frame) {
  const Box box = part.bounds();
  const bool fits = box.width() <= frame.x() && box.height() <= frame.y();
  const bool fitsTurned = box.height() <= frame.x() && box.width() <= frame.y();
  return !fits && fitsTurned ? turned(part) : part;
}

} // namespace

Drawing turned(Drawing d) {
  const auto turn = [](const Point& p) { return Point(-p.y(), p.x()); };
  for (Stroke& s : d.strokes)
    for (Point& p : s.points) p = turn(p);
  for (Label& l : d.labels) {
    l.at = turn(l.at);
    l.turned = !l.turned;
  }
  return d;
}

std::vector<Drawing> packed(const std::vector<Drawing>& parts, const Point& frame, double between) {
  if (parts.empty()) return {};
  std::vector<Drawing> ready;
  for (const Drawing& part : parts) {
    ready.push_back(asItFits(part, frame));
    ready.back().shift(-ready.back().bounds().low);
  }
  std::vector<std::size_t> order(ready.size());
  std::iota(order.begin(), order.end(), std::size_t{0});
  std::vector<Point> size;
  size.reserve(ready.size());
  for (const Drawing& d : ready) size.emplace_back(d.bounds().width(), d.bounds().height());
  std::stable_sort(order.begin(), order.end(), [&](std::size_t a, std::size_t b) { return size[a].y() > size[b].y(); });
  std::vector<Drawing> sheets;
  std::vector<double> filled; ///< of each sheet, downwards
  std::vector<Row> rows;
  for (const std::size_t i : order) {
    const Point need = size[i];
    if (need.x() > frame.x() || need.y() > frame.y()) { // larger than a sheet
      sheets.push_back(ready[i]);
      filled.push_back(frame.y());
      continue;
    }
    auto row = std::find_if(rows.begin(), rows.end(),
                            [&](const Row& r) { return r.used + need.x() <= frame.x() && need.y() <= r.high; });
    if (row == rows.end()) {
      std::size_t sheet = 0;
      while (sheet < sheets.size() && filled[sheet] + need.y() > frame.y()) ++sheet;
      if (sheet == sheets.size()) sheets.push_back(emptyLike(parts.front())), filled.push_back(0);
      rows.push_back({sheet, filled[sheet], need.y(), 0});
      filled[sheet] += need.y() + between;
      row = std::prev(rows.end());
    }
    sheets[row->sheet].add(ready[i], {row->used, -row->y - need.y()});
    row->used += need.x() + between;
  }
  for (Drawing& sheet : sheets) sheet.shift(-sheet.bounds().low);
  return sheets;
}

std::vector<Drawing> flowed(const std::vector<Drawing>& blocks, const Point& frame, double between) {
  std::vector<Drawing> sheets;
  double y = 0;
  for (const Drawing& one : blocks) {
    const Drawing block = asItFits(one, frame);
    const Box box = block.bounds();
    const bool larger = box.width() > frame.x() || box.height() > frame.y(); // it has a sheet of its own
    if (sheets.empty() || (y > 0 && (larger || y + box.height() > frame.y())))
      sheets.push_back(emptyLike(blocks.front())), y = 0;
    sheets.back().add(block, {-box.low.x(), -y - box.high.y()});
    y += larger ? 1e9 : box.height() + between;
  }
  for (Drawing& sheet : sheets) sheet.shift(-sheet.bounds().low);
  return sheets;
}

Drawing stacked(const std::vector<Drawing>& parts, double between) {
  return flowed(parts, {1e12, 1e12}, between).front();
}

} // namespace eup
