#include "core/drawing/drawing.h"
#include "core/geometry/polyline.h"
#include <fmt/format.h>

namespace eup {

const char* name(Layer layer) {
  switch (layer) {
  case Layer::cut:
    return "cut";
  case Layer::mark:
    return "mark";
  case Layer::text:
    return "text";
  }
  return "";
}

double textWidth(std::string_view text, double height) {
  std::size_t letters = 0;
  for (char c : text) letters += (static_cast<unsigned char>(c) & 0xC0) != 0x80;
  return 0.56 * height * static_cast<double>(letters);
}

Box Drawing::bounds() const {
  Box box;
  for (const Stroke& s : strokes) box.include(boundsOf(s.points));
  for (const Label& l : labels) {
    const double w = textWidth(l.text, l.height);
    const double from = l.anchor == Anchor::left ? 0 : l.anchor == Anchor::middle ? -w / 2 : -w;
    const auto include = [&](double along, double up) {
      box.include(Point(l.at + (l.turned ? Point(-up, along) : Point(along, up))));
    };
    include(from, -0.25 * l.height);
    include(from + w, 0.8 * l.height);
  }
  return box;
}

void Drawing::shift(const Point& by) {
  for (Stroke& s : strokes)
    for (Point& p : s.points) p += by;
  for (Label& l : labels) l.at += by;
}

void Drawing::add(const Drawing& other, const Point& at) {
  Drawing moved = other;
  moved.shift(at);
  strokes.insert(strokes.end(), std::make_move_iterator(moved.strokes.begin()),
                 std::make_move_iterator(moved.strokes.end()));
  labels.insert(labels.end(), std::make_move_iterator(moved.labels.begin()),
                std::make_move_iterator(moved.labels.end()));
}

std::string handOf(const Drawing& d) {
  return d.bothHands ? "both hands" : fmt::format("{} hand", name(d.hand));
}

std::string handLargeOf(const Drawing& d) {
  return d.bothHands ? "BOTH HANDS" : fmt::format("{} HAND", nameLarge(d.hand));
}

Drawing withKerf(Drawing d, double kerf) {
  if (kerf <= 0) return d;
  Region piece;
  double area = 0;
  for (const Stroke& s : d.strokes)
    if (s.layer == Layer::cut && s.closed) piece.push_back(s.points), area += signedArea(s.points);
  if (piece.empty()) return d;
  if (area < 0) // a left hand runs the other way round
    for (Polyline& loop : piece) std::reverse(loop.begin(), loop.end());
  std::erase_if(d.strokes, [](const Stroke& s) { return s.layer == Layer::cut && s.closed; });
  d.region(Layer::cut, grown(piece, kerf / 2));
  return d;
}

Drawing mirrored(Drawing d) {
  for (Stroke& s : d.strokes)
    for (Point& p : s.points) p.x() = -p.x();
  for (Label& l : d.labels) {
    l.at.x() = -l.at.x();
    if (l.anchor != Anchor::middle) l.anchor = l.anchor == Anchor::left ? Anchor::right : Anchor::left;
  }
  return d;
}

} // namespace eup
