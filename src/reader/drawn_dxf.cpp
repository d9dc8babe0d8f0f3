// Drawn plans: a DXF, its blocks put in where they are inserted.
#include "core/files/text_file.h"
#include "core/measure/units.h"
#include "reader/bands.h"
#include <dl_creationadapter.h>
#include <dl_dxf.h>
#include <map>
#include <sstream>

namespace eup::image_readers {
namespace {

/// Lines of a DXF drawing, in its own units. Blocks are gathered and put in where they are inserted.
class DxfLines : public DL_CreationAdapter {
public:
  std::vector<Polyline> lines;
  double mmPerUnit = 1;
  bool tooMany = false;
  std::map<std::string, int> skipped;

  void setVariableInt(const std::string& key, int value, int) override {
    if (key == "$INSUNITS") units = value;
  }
  void endEntity() override { finish(); }
  void addBlock(const DL_BlockData& data) override {
    finish();
    block = data.name;
    blocks[block].base = {data.bpx, data.bpy};
  }
  void endBlock() override {
    finish();
    block.clear();
  }
  void addInsert(const DL_InsertData& d) override {
    finish();
    const auto found = blocks.find(d.name);
    if (found == blocks.end()) return;
    const double turn = degToRad(d.angle), c = std::cos(turn), s = std::sin(turn);
    // A block that is put into another grows with it: blocks within blocks could grow without end.
    if (tooMany || points + found->second.points > mostPoints) {
      tooMany = true;
      return;
    }
    const auto copy = found->second.lines;
    for (const Polyline& line : copy) {
      Polyline out;
      for (const Point& p : line) {
        const Point q = (p - found->second.base).cwiseProduct(Point(d.sx, d.sy));
        out.emplace_back(d.ipx + c * q.x() - s * q.y(), d.ipy + s * q.x() + c * q.y());
      }
      keep(std::move(out));
    }
  }
  void addLine(const DL_LineData& d) override { keep({{d.x1, d.y1}, {d.x2, d.y2}}); }
  void addArc(const DL_ArcData& d) override {
    double from = d.angle1, to = d.angle2;
    if (to <= from) to += 360;
    ellipse({d.cx, d.cy}, {d.radius, 0}, 1, degToRad(from), degToRad(to));
  }
  void addCircle(const DL_CircleData& d) override { ellipse({d.cx, d.cy}, {d.radius, 0}, 1, 0, 2 * pi); }
  void addEllipse(const DL_EllipseData& d) override {
    double to = d.angle2;
    if (to <= d.angle1) to += 2 * pi;
    ellipse({d.cx, d.cy}, {d.mx, d.my}, d.ratio, d.angle1, to);
  }
  void addPolyline(const DL_PolylineData& d) override {
    finish();
    inPolyline = true;
    closed = d.flags & 1;
  }
  void addVertex(const DL_VertexData& d) override {
    if (inPolyline) vertices.push_back({{d.x, d.y}, d.bulge});
  }
  void addSpline(const DL_SplineData& d) override {
    finish();
    inSpline = true;
    degree = static_cast<int>(d.degree);
  }
  void addControlPoint(const DL_ControlPointData& d) override {
    if (inSpline) control.emplace_back(d.x, d.y);
  }
  void addFitPoint(const DL_FitPointData& d) override {
    if (inSpline) fit.emplace_back(d.x, d.y);
  }
  void addKnot(const DL_KnotData& d) override {
    if (inSpline) knots.push_back(d.k);
  }
  void addText(const DL_TextData&) override { ++skipped["texts"]; }
  void addMText(const DL_MTextData&) override { ++skipped["texts"]; }
  void addHatch(const DL_HatchData&) override { ++skipped["hatchings"]; }
  void addImage(const DL_ImageData&) override { ++skipped["pictures"]; }

  void finish() {
    if (inPolyline) flushPolyline();
    if (inSpline) flushSpline();
    inPolyline = inSpline = false;
    vertices.clear(), control.clear(), fit.clear(), knots.clear();
  }
  /// DXF reference, group code 70 of $INSUNITS; no unit counts as mm.
  std::optional<double> unit() const {
    switch (units) {
    case 0:
    case 4:
      return 1.0;
    case 1:
      return mmPerInch;
    case 2:
      return 12 * mmPerInch;
    case 5:
      return 10.0;
    case 6:
      return 1000.0;
    default:
      return std::nullopt;
    }
  }

private:
  struct Vertex {
    Point at;
    double bulge;
  };
  struct Block {
    Point base{0, 0};
    std::vector<Polyline> lines;
    std::size_t points = 0; ///< and one more for every line
  };
  static constexpr std::size_t mostPoints = 4'000'000;

  void keep(Polyline line) {
    for (const Point& p : line)
      if (!p.allFinite() || p.cwiseAbs().maxCoeff() > 1e9) return;
    points += line.size() + 1;
    if (points > mostPoints) {
      tooMany = true;
      return;
    }
    if (!block.empty()) blocks[block].points += line.size() + 1;
    (block.empty() ? lines : blocks[block].lines).push_back(std::move(line));
  }
  void ellipse(const Point& centre, const Point& major, double ratio, double from, double to) {
    if (!std::isfinite(from) || !std::isfinite(to) || to - from > 7) return;
    const Point minor(-major.y() * ratio, major.x() * ratio);
    const int n = 8 + static_cast<int>((to - from) * 20);
    Polyline line;
    for (int i = 0; i <= n; ++i) {
      const double a = from + (to - from) * i / n;
      line.push_back(centre + std::cos(a) * major + std::sin(a) * minor);
    }
    keep(std::move(line));
  }
  void flushPolyline() {
    if (vertices.size() < 2) return;
    if (closed) vertices.push_back(vertices.front());
    Polyline line{vertices.front().at};
    for (std::size_t i = 0; i + 1 < vertices.size(); ++i) {
      const Point a = vertices[i].at, b = vertices[i + 1].at, d = b - a;
      const double bulge = vertices[i].bulge; // tangent of a quarter of the arc's angle
      if (std::abs(bulge) > 1e-9 && std::abs(bulge) < 1e6 && d.norm() > 0) {
        const double angle = 4 * std::atan(bulge);
        const Point centre = (a + b) / 2 + Point(-d.y(), d.x()) * ((1 - bulge * bulge) / (4 * bulge));
        const double start = std::atan2(a.y() - centre.y(), a.x() - centre.x()), radius = (a - centre).norm();
        const int n = 2 + static_cast<int>(std::abs(angle) * 16);
        for (int k = 1; k < n; ++k)
          line.push_back(centre + radius * Point(std::cos(start + angle * k / n), std::sin(start + angle * k / n)));
      }
      line.push_back(b);
    }
    keep(std::move(line));
  }
  /// De Boor's recursion; a spline without usable knots is drawn through its fit points, or along its control points.
  void flushSpline() {
    const std::size_t n = control.size(), p = static_cast<std::size_t>(std::clamp(degree, 1, 7));
    if (n <= p || knots.size() != n + p + 1 || !std::is_sorted(knots.begin(), knots.end()))
      return keep(fit.size() >= 2 ? fit : control);
    Polyline line;
    const int steps = static_cast<int>(std::min<std::size_t>(n * 12, 20000));
    for (int i = 0; i <= steps; ++i) {
      const double u = knots[p] + (knots[n] - knots[p]) * i / steps;
      std::size_t k = p;
      while (k + 1 < n && u >= knots[k + 1]) ++k;
      std::vector<Point> d(control.begin() + static_cast<std::ptrdiff_t>(k - p),
                           control.begin() + static_cast<std::ptrdiff_t>(k + 1));
      for (std::size_t r = 1; r <= p; ++r)
        for (std::size_t j = p; j >= r; --j) {
          const double low = knots[j + k - p], high = knots[j + 1 + k - r];
          const double t = high > low ? (u - low) / (high - low) : 0;
          d[j] = lerp(d[j - 1], d[j], t);
        }
      line.push_back(d[p]);
    }
    keep(std::move(line));
  }

  int units = 0, degree = 3;
  std::string block;
  std::map<std::string, Block> blocks;
  bool inPolyline = false, inSpline = false, closed = false;
  std::vector<Vertex> vertices;
  Polyline control, fit;
  std::vector<double> knots;
  std::size_t points = 0;
};

/// The group codes come in pairs of lines; where that breaks, the file is damaged, and its line is told.
std::optional<Problem> brokenPairs(const std::string& text) {
  std::size_t from = 0;
  int line = 0;
  while (from < text.size()) {
    const std::size_t end = std::min(text.find('\n', from), text.size());
    std::string_view code(text.data() + from, end - from);
    from = end + 1;
    ++line;
    while (!code.empty() && (code.back() == '\r' || code.back() == ' ')) code.remove_suffix(1);
    while (!code.empty() && code.front() == ' ') code.remove_prefix(1);
    if (code.empty() && from >= text.size()) return {};
    const bool digits = !code.empty() && code.size() <= 5 &&
                        code.find_first_not_of("0123456789", code.front() == '-' ? 1 : 0) == std::string_view::npos;
    if (!digits) return Problem{fmt::format("line {}", line), "damaged DXF: a group code was expected there"};
    if (from >= text.size()) return Problem{fmt::format("line {}", line), "damaged DXF: it ends in the middle"};
    const std::size_t value = std::min(text.find('\n', from), text.size());
    // Counts that the library makes room for before it looks at what follows.
    if (code == "90" || code == "70" || code == "72" || code == "73" || code == "74") {
      const long long count = std::strtoll(text.c_str() + from, nullptr, 10);
      if (count > 1'000'000 || count < -1'000'000)
        return Problem{fmt::format("line {}", line + 1), "damaged DXF: a count is out of all bounds"};
    }
    from = value + 1;
    ++line;
  }
  return {};
}

} // namespace

Result<Picture> readDxf(const std::filesystem::path& path, const OpenOrder& order, const Progress& progress) {
  const auto text = readTextFile(path, largestDrawing);
  if (!text) return Problem{"", text.problem().cause};
  if (const auto broken = brokenPairs(text.value())) return *broken;
  DxfLines drawing;
  try {
    std::stringstream stream(text.value());
    DL_Dxf reader;
    if (!reader.in(stream, &drawing)) return Problem{"", "damaged DXF: it cannot be read"};
    drawing.finish();
  } catch (const std::exception& error) {
    return Problem{"", fmt::format("damaged DXF: {}", error.what())};
  }
  if (drawing.tooMany) return Problem{"", "the DXF has more than four million points"};
  Box box;
  for (const Polyline& line : drawing.lines)
    for (const Point& p : line) box.include(p);
  if (box.empty() || !(box.width() + box.height() > 0)) return Problem{"", "the DXF holds no lines"};
  Picture picture;
  const auto unit = drawing.unit();
  if (!unit) picture.notes.emplace_back("the DXF's unit is unusual; it is taken as mm: check with a known length");
  const double mm = unit.value_or(1.0);
  constexpr double margin = 5; // mm of paper around the lines
  const double wide = (box.width() * mm + 2 * margin) / mmPerInch, high = (box.height() * mm + 2 * margin) / mmPerInch;
  if (wide > 1e4 || high > 1e4)
    return Problem{"", fmt::format("the DXF is {:.0f} m wide: its unit must be wrong", wide * mmPerInch / 1000)};
  picture.dpi = fitting(order.vectorDpi, wide, high, picture.notes);
  auto raster = paper(std::ceil(wide * picture.dpi), std::ceil(high * picture.dpi));
  if (!raster) return raster.problem();
  picture.raster = std::move(raster.value());
  const double scale = picture.dpi / mmPerInch;
  const auto done = drawBands(picture.raster, progress, [&](cairo_t* context) -> std::optional<std::string> {
    cairo_set_source_rgb(context, 0, 0, 0);
    cairo_set_line_width(context, std::max(1.5, 0.25 * scale));
    cairo_set_line_cap(context, CAIRO_LINE_CAP_ROUND);
    cairo_set_line_join(context, CAIRO_LINE_JOIN_ROUND);
    for (const Polyline& line : drawing.lines) {
      // A pixel's middle lies at its whole number; cairo's lies half a pixel on.
      for (const Point& p : line)
        cairo_line_to(context, (margin + (p.x() - box.low.x()) * mm) * scale + 0.5,
                      (margin + (box.high.y() - p.y()) * mm) * scale + 0.5);
      cairo_stroke(context);
    }
    return {};
  });
  if (!done) return done.problem();
  for (const auto& [what, count] : drawing.skipped)
    picture.notes.push_back(fmt::format("{} {} of the DXF are not shown", count, what));
  return picture;
}

} // namespace eup::image_readers
