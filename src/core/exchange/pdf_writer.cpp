#include "core/exchange/pdf_writer.h"
#include "core/files/shipped.h"
#include <algorithm>
#include <cairo-ft.h>
#include <cairo-pdf.h>
#include <cmath>
#include <fmt/format.h>
#include <memory>

namespace eup {
namespace {

constexpr double pointsPerMm = 72 / 25.4;
constexpr double left = 14, right = 8, top = 8, bottom = 20; // margins: check bars stand in the left and bottom ones

struct Rgb {
  double r, g, b;
};
constexpr Rgb cutInk{0, 0, 0}, markInk{0.15, 0.35, 0.6}, textInk{0.1, 0.1, 0.1}, faintInk{0.55, 0.55, 0.55};

/// A font that travels inside the program, for cairo.
class Font {
public:
  Font() {
    const auto data = shipped::fontRegular();
    if (FT_Init_FreeType(&library) != 0) return;
    if (FT_New_Memory_Face(library, reinterpret_cast<const FT_Byte*>(data.data()), static_cast<FT_Long>(data.size()), 0,
                           &face) == 0)
      cairoFace = cairo_ft_font_face_create_for_ft_face(face, 0);
  }
  Font(const Font&) = delete;
  Font& operator=(const Font&) = delete;
  ~Font() {
    // cairo may keep the face in its own cache: it must be let go before FreeType is.
    if (cairoFace) cairo_font_face_destroy(cairoFace);
    cairo_debug_reset_static_data();
    if (face) FT_Done_Face(face);
    if (library) FT_Done_FreeType(library);
  }
  cairo_font_face_t* cairoFace = nullptr;

private:
  FT_Library library = nullptr;
  FT_Face face = nullptr;
};

struct Tiles {
  int across = 1, down = 1;
  int count() const { return across * down; }
};

int tilesFor(double length, double frame) {
  return length <= frame + 1e-6 ? 1
                                : static_cast<int>(std::ceil((length - pageOverlap) / (frame - pageOverlap) - 1e-9));
}

Tiles tilesOf(const Drawing& d, const Point& frame) {
  const Box box = d.bounds();
  return {tilesFor(box.width(), frame.x()), tilesFor(box.height(), frame.y())};
}

/// Draws in mm with y up inside a frame whose lower left corner is given; and in page mm with y down for the rest.
class Page {
public:
  Page(cairo_t* cairo, const Point& paper) : cr(cairo), size(paper) {}

  void ink(Rgb c, double widthMm) {
    cairo_set_source_rgb(cr, c.r, c.g, c.b);
    cairo_set_line_width(cr, widthMm);
  }
  void line(const Point& a, const Point& b) {
    cairo_move_to(cr, a.x(), a.y());
    cairo_line_to(cr, b.x(), b.y());
    cairo_stroke(cr);
  }
  void box(const Point& low, const Point& high) {
    cairo_rectangle(cr, low.x(), low.y(), high.x() - low.x(), high.y() - low.y());
    cairo_stroke(cr);
  }
  void text(const Point& at, const std::string& words, double height, Anchor anchor = Anchor::left) {
    cairo_set_font_size(cr, height);
    double shift = 0;
    if (anchor != Anchor::left) {
      cairo_text_extents_t extents;
      cairo_text_extents(cr, words.c_str(), &extents);
      shift = anchor == Anchor::middle ? extents.x_advance / 2 : extents.x_advance;
    }
    cairo_move_to(cr, at.x() - shift, at.y());
    cairo_show_text(cr, words.c_str());
  }
  void cross(const Point& at) {
    line(at - Point(3, 0), at + Point(3, 0));
    line(at - Point(0, 3), at + Point(0, 3));
    cairo_new_path(cr);
    cairo_arc(cr, at.x(), at.y(), 1.2, 0, 2 * M_PI);
    cairo_stroke(cr);
  }

  /// `place` takes drawing mm (y up) to page mm (y down).
  template <class Place> void drawing(const Drawing& d, Place place, double scale) {
    for (const Stroke& s : d.strokes) {
      if (s.points.size() < 2) continue;
      ink(s.layer == Layer::cut    ? cutInk
          : s.layer == Layer::mark ? markInk
                                   : textInk,
          s.layer == Layer::cut ? 0.2 : 0.13);
      cairo_new_path(cr); // lettering leaves its end behind as a start
      for (const Point& p : s.points) {
        const Point q = place(p);
        cairo_line_to(cr, q.x(), q.y());
      }
      if (s.closed) cairo_close_path(cr);
      cairo_stroke(cr);
    }
    ink(textInk, 0.13);
    for (const Label& l : d.labels) text(place(l.at), l.text, l.height * scale, l.anchor);
  }

  /// 100 mm along the foot and up the side: a printer that stretches either way is found out.
  void checkBars() {
    ink(textInk, 0.2);
    const double y = size.y() - 13, x = 9;
    line({left, y}, {left + 100, y});
    line({x, size.y() - bottom}, {x, size.y() - bottom - 100});
    for (int i = 0; i <= 10; ++i) {
      const double tick = i % 5 == 0 ? 2.5 : 1.5;
      line({left + 10 * i, y}, {left + 10 * i, y - tick});
      line({x, size.y() - bottom - 10 * i}, {x + tick, size.y() - bottom - 10 * i});
    }
    text({left + 102, y}, "100 mm, measure both ways", 2.8);
  }

  cairo_t* cr;
  Point size;
};

class Book {
public:
  Book(const std::vector<Drawing>& all, Paper paper, bool sideways)
      : drawings(all), frame(pageFrame(paper, sideways)), size(paperSize(paper)) {
    if (sideways) std::swap(size.x(), size.y());
    pages = 1;
    for (const Drawing& d : drawings) pages += tilesOf(d, frame).count();
  }

  Result<std::string> print() {
    std::string bytes;
    const auto sink = [](void* closure, const unsigned char* data, unsigned int length) {
      static_cast<std::string*>(closure)->append(reinterpret_cast<const char*>(data), length);
      return CAIRO_STATUS_SUCCESS;
    };
    const std::unique_ptr<cairo_surface_t, decltype(&cairo_surface_destroy)> surface(
        cairo_pdf_surface_create_for_stream(sink, &bytes, size.x() * pointsPerMm, size.y() * pointsPerMm),
        cairo_surface_destroy);
    const Drawing& first = drawings.front();
    cairo_pdf_surface_set_metadata(surface.get(), CAIRO_PDF_METADATA_TITLE,
                                   fmt::format("{}: {}, {} hand", first.wing, first.title, name(first.hand)).c_str());
    cairo_status_t status;
    {
      const std::unique_ptr<cairo_t, decltype(&cairo_destroy)> cairo(cairo_create(surface.get()), cairo_destroy);
      cairo_scale(cairo.get(), pointsPerMm, pointsPerMm);
      if (font.cairoFace) cairo_set_font_face(cairo.get(), font.cairoFace);
      cairo_set_line_join(cairo.get(), CAIRO_LINE_JOIN_ROUND);
      Page page(cairo.get(), size);
      keyPage(page);
      for (std::size_t i = 0; i < drawings.size(); ++i) tiles(page, i);
      status = cairo_status(cairo.get());
    }
    cairo_surface_finish(surface.get());
    if (status == CAIRO_STATUS_SUCCESS) status = cairo_surface_status(surface.get());
    if (status != CAIRO_STATUS_SUCCESS) return Problem{"", cairo_status_to_string(status)};
    return bytes;
  }

  int pages;

private:
  void foot(Page& page, const Drawing& d, const std::string& part) {
    ++number;
    page.checkBars();
    page.ink(textInk, 0.2);
    page.text({size.x() - right, size.y() - 13}, fmt::format("page {} of {}", number, pages), 3.2, Anchor::right);
    page.text({left, size.y() - 7.5},
              fmt::format("{}   {}   {} HAND   full size 1:1   {}", d.wing, d.title, nameLarge(d.hand), part), 3.2);
  }

  void keyPage(Page& page) {
    const Drawing& d = drawings.front();
    page.ink(textInk, 0.2);
    page.text({left, 20}, d.wing, 8);
    page.text({left, 29}, fmt::format("{}, {} HAND, full size 1:1", d.title, nameLarge(d.hand)), 5);
    page.text({left, 37},
              "Print at 100 %, never “fit to page”. Measure both check bars before you cut: 100 mm along and up.", 3);
    page.text(
        {left, 42},
        fmt::format("Pages overlap by {:.0f} mm; lay the crosses of neighbouring pages on each other.", pageOverlap),
        3);
    double y = 50;
    int first = 2;
    const double room = size.y() - bottom - y - 4;
    const double each = room / static_cast<double>(drawings.size());
    for (const Drawing& one : drawings) {
      const Tiles t = tilesOf(one, frame);
      keyMap(page, one, t, first, {left, y}, {frame.x(), each - 4});
      first += t.count();
      y += each;
    }
    foot(page, d, "key");
    cairo_show_page(page.cr);
  }

  /// A small picture of the drawing with its pages numbered.
  void keyMap(Page& page, const Drawing& d, Tiles t, int firstPage, const Point& at, const Point& room) {
    const Box box = d.bounds();
    const double width = t.across * (frame.x() - pageOverlap) + pageOverlap,
                 height = t.down * (frame.y() - pageOverlap) + pageOverlap;
    const double scale = std::min(room.x() / width, room.y() / height);
    const Point origin = at;
    page.drawing(
        d, [&](const Point& p) -> Point { return origin + Point(p.x() - box.low.x(), box.high.y() - p.y()) * scale; },
        scale);
    for (int row = 0; row < t.down; ++row)
      for (int column = 0; column < t.across; ++column) {
        const Point low = origin + Point(column * (frame.x() - pageOverlap), row * (frame.y() - pageOverlap)) * scale;
        page.ink(faintInk, 0.15);
        page.box(low, low + frame * scale);
        page.ink(textInk, 0.15);
        page.text(low + Point(1.5, 4.5), fmt::format("{}", firstPage + row * t.across + column), 3.5);
      }
  }

  void tiles(Page& page, std::size_t index) {
    const Drawing& d = drawings[index];
    const Box box = d.bounds();
    const Tiles t = tilesOf(d, frame);
    for (int row = 0; row < t.down; ++row)
      for (int column = 0; column < t.across; ++column) {
        const Point from(box.low.x() + column * (frame.x() - pageOverlap),
                         box.high.y() - row * (frame.y() - pageOverlap));
        cairo_save(page.cr);
        cairo_rectangle(page.cr, left - 1, top - 1, frame.x() + 2, frame.y() + 2);
        cairo_clip(page.cr);
        page.drawing(
            d, [&](const Point& p) { return Point(left + p.x() - from.x(), top + from.y() - p.y()); }, 1);
        cairo_restore(page.cr);
        registers(page, t, row, column);
        foot(page, d,
             t.count() > 1 ? fmt::format("row {} of {}, column {} of {}", row + 1, t.down, column + 1, t.across) : "");
        cairo_show_page(page.cr);
      }
  }

  /// Crosses in the middle of each strip that is shared with a neighbour.
  void registers(Page& page, Tiles t, int row, int column) {
    page.ink(faintInk, 0.15);
    const double x0 = left + pageOverlap / 2, x1 = left + frame.x() - pageOverlap / 2;
    const double y0 = top + pageOverlap / 2, y1 = top + frame.y() - pageOverlap / 2;
    const auto beside = [&](double x) { page.cross({x, y0}), page.cross({x, y1}); };
    const auto below = [&](double y) { page.cross({x0, y}), page.cross({x1, y}); };
    if (column > 0) beside(x0);
    if (column + 1 < t.across) beside(x1);
    if (row > 0) below(y0);
    if (row + 1 < t.down) below(y1);
  }

  const std::vector<Drawing>& drawings;
  Point frame, size;
  int number = 0;
  Font font;
};

} // namespace

Point paperSize(Paper paper) {
  return paper == Paper::a4 ? Point(210, 297) : Point(215.9, 279.4);
}

Point pageFrame(Paper paper, bool sideways) {
  Point size = paperSize(paper);
  if (sideways) std::swap(size.x(), size.y());
  return size - Point(left + right, top + bottom);
}

int pageCount(const std::vector<Drawing>& drawings, Paper paper, bool sideways) {
  int pages = 1;
  for (const Drawing& d : drawings) pages += tilesOf(d, pageFrame(paper, sideways)).count();
  return pages;
}

bool betterSideways(const std::vector<Drawing>& drawings, Paper paper) {
  return pageCount(drawings, paper, true) < pageCount(drawings, paper, false);
}

Result<std::string> toPdf(const std::vector<Drawing>& drawings, Paper paper, bool sideways) {
  if (drawings.empty()) return Problem{"", "there is nothing to print"};
  Book book(drawings, paper, sideways);
  if (book.pages > 2000) return Problem{"", fmt::format("the drawing would take {} pages", book.pages)};
  return book.print();
}

} // namespace eup
