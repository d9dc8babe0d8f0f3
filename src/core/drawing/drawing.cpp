#include "core/drawing/drawing.h"
#include "core/geometry/polyline.h"

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
