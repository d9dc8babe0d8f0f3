#include "core/exchange/svg_writer.h"
#include "core/files/bytes.h"
#include <fmt/format.h>
#include <pugixml.hpp>
#include <sstream>

namespace eup {
namespace {

constexpr double margin = 5;

const char* strokeOf(Layer layer) {
  switch (layer) {
  case Layer::cut:
    return "#c0271a";
  case Layer::mark:
    return "#1d4f91";
  case Layer::text:
    return "#222222";
  }
  return "";
}

std::string pathData(const Stroke& s, const Box& box) {
  std::string d;
  for (std::size_t i = 0; i < s.points.size(); ++i)
    d += fmt::format("{}{:.4f} {:.4f}", i == 0 ? "M" : " L", s.points[i].x() - box.low.x(),
                     box.high.y() - s.points[i].y());
  return s.closed ? d + " Z" : d;
}

} // namespace

std::string toSvg(const Drawing& drawing) {
  Box box = drawing.bounds();
  if (box.empty()) box.include(Point(0, 0));
  box.low -= Point(margin, margin);
  box.high += Point(margin, margin);
  pugi::xml_document doc;
  auto svg = doc.append_child("svg");
  const auto set = [](pugi::xml_node node, const char* key, const std::string& value) {
    node.append_attribute(key) = value.c_str();
  };
  const auto say = [](pugi::xml_node node, const std::string& words) { // control letters would make it no XML
    node.text() = withoutControls(words).c_str();
  };
  set(svg, "xmlns", "http://www.w3.org/2000/svg");
  set(svg, "width", fmt::format("{:.4f}mm", box.width()));
  set(svg, "height", fmt::format("{:.4f}mm", box.height()));
  set(svg, "viewBox", fmt::format("0 0 {:.4f} {:.4f}", box.width(), box.height()));
  say(svg.append_child("title"),
      fmt::format("{}: {}, {}, full size in mm", drawing.wing, drawing.title, handOf(drawing)));
  for (Layer layer : allLayers) {
    auto group = svg.append_child("g");
    set(group, "id", name(layer));
    set(group, "fill", "none");
    set(group, "stroke", strokeOf(layer));
    set(group, "stroke-width", layer == Layer::cut ? "0.2" : "0.12");
    for (const Stroke& s : drawing.strokes)
      if (s.layer == layer && s.points.size() > 1) set(group.append_child("path"), "d", pathData(s, box));
    if (layer != Layer::text) continue;
    for (const Label& l : drawing.labels) {
      auto text = group.append_child("text");
      set(text, "x", fmt::format("{:.3f}", l.at.x() - box.low.x()));
      set(text, "y", fmt::format("{:.3f}", box.high.y() - l.at.y()));
      set(text, "font-size", fmt::format("{:.3f}", l.height));
      set(text, "font-family", "Inter, sans-serif");
      set(text, "fill", strokeOf(layer));
      set(text, "stroke", "none");
      set(text, "text-anchor", l.anchor == Anchor::left ? "start" : l.anchor == Anchor::middle ? "middle" : "end");
      if (l.turned)
        set(text, "transform",
            fmt::format("rotate(-90 {:.3f} {:.3f})", l.at.x() - box.low.x(), box.high.y() - l.at.y()));
      say(text, l.text);
    }
  }
  std::ostringstream out;
  doc.save(out, " ");
  return out.str();
}

} // namespace eup
