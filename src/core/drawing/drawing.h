// A neutral drawing in millimetres at full size, y up, on three named layers. Writers turn it into files.
#pragma once
#include "core/design/design.h"
#include "core/geometry/region.h"
#include <string>
#include <vector>

namespace eup {

/// What is cut, what is only marked on the wood, what is written.
enum class Layer { cut, mark, text };
inline constexpr Layer allLayers[] = {Layer::cut, Layer::mark, Layer::text};
const char* name(Layer layer);

struct Stroke {
  Layer layer = Layer::cut;
  Polyline points;
  bool closed = false;
};

enum class Anchor { left, middle, right };

struct Label {
  Point at{0, 0}; ///< on the base line
  std::string text;
  double height = 3.5; ///< mm, of the letters' body
  Anchor anchor = Anchor::left;
  bool turned = false; ///< runs upwards
};

struct Drawing {
  std::string title; ///< "Ribs", "Plan", …
  std::string wing;  ///< the wing's name
  Hand hand = Hand::right;
  bool bothHands = false; ///< root to root, on one sheet
  std::vector<Stroke> strokes;
  std::vector<Label> labels;

  void line(Layer layer, const Point& a, const Point& b) { strokes.push_back({layer, {a, b}, false}); }
  void loop(Layer layer, Polyline points) { strokes.push_back({layer, std::move(points), true}); }
  void region(Layer layer, const Region& region) {
    for (const Polyline& p : region) loop(layer, p);
  }
  void write(const Point& at, std::string text, double height = 3.5, Anchor anchor = Anchor::left) {
    labels.push_back({at, std::move(text), height, anchor});
  }
  /// All strokes, and the labels by an estimate of their width.
  Box bounds() const;
  void shift(const Point& by);
  void add(const Drawing& other, const Point& at);
};

/// "right hand", "both hands"; and "RIGHT HAND", "BOTH HANDS".
std::string handOf(const Drawing& drawing);
std::string handLargeOf(const Drawing& drawing);

/// For a cutter that takes `kerf` mm away: every closed cut loop moved outwards by half of it, holes inwards, so that
/// the piece is true. Loops of one drawing are one piece.
Drawing withKerf(Drawing drawing, double kerf);

/// Left for right: every x changes its sign; the lettering stays readable.
Drawing mirrored(Drawing drawing);

/// Estimated width of a text in our fonts, mm: for laying out, not for measuring.
double textWidth(std::string_view text, double height);

} // namespace eup
