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
  /// Runs upwards.
  void textUp(const Point& at, const std::string& words, double height, Anchor anchor) {
    cairo_save(cr);
    cairo_translate(cr, at.x(), at.y());
    cairo_rotate(cr, -M_PI / 2);
    text({0, 0}, words, height, anchor);
    cairo_restore(cr);
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
    for (const Label& l : d.labels)
      l.turned ? textUp(place(l.at), l.text, l.height * scale, l.anchor)
               : text(place(l.at), l.text, l.height * scale, l.anchor);
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

/// How many pages the small pictures take that say which drawing is on which page.
constexpr std::size_t keyColumns = 3, keyRows = 4;
int keyPages(std::size_t drawings) {
  return static_cast<int>((drawings + keyColumns * keyRows - 1) / (keyColumns * keyRows));
}

std::size_t drawingsIn(const std::vector<PrintSection>& sections) {
  std::size_t n = 0;
  for (const PrintSection& s : sections) n += s.drawings.size();
  return n;
}

class Book {
public:
  Book(const std::vector<PrintSection>& all, Paper kind, std::string words)
      : sections(all), paper(kind), legend(std::move(words)), sheets(printPages(all, kind)),
        pages(sheetCount(all, kind)) {}

  Result<std::string> print() {
    std::string bytes;
    const auto sink = [](void* closure, const unsigned char* data, unsigned int length) {
      static_cast<std::string*>(closure)->append(reinterpret_cast<const char*>(data), length);
      return CAIRO_STATUS_SUCCESS;
    };
    turnTo(sections.size() == 1 && sections.front().sideways);
    const std::unique_ptr<cairo_surface_t, decltype(&cairo_surface_destroy)> surface(
        cairo_pdf_surface_create_for_stream(sink, &bytes, size.x() * pointsPerMm, size.y() * pointsPerMm),
        cairo_surface_destroy);
    const Drawing& first = sections.front().drawings.front();
    cairo_pdf_surface_set_metadata(
        surface.get(), CAIRO_PDF_METADATA_TITLE,
        fmt::format("{}: {}, {} hand", first.wing, sections.size() > 1 ? "for the bench" : first.title, handWords())
            .c_str());
    // No time of day in it: the same wing is the same file, byte for byte.
    cairo_pdf_surface_set_metadata(surface.get(), CAIRO_PDF_METADATA_CREATE_DATE, "");
    cairo_status_t status;
    {
      const std::unique_ptr<cairo_t, decltype(&cairo_destroy)> cairo(cairo_create(surface.get()), cairo_destroy);
      cairo_scale(cairo.get(), pointsPerMm, pointsPerMm);
      if (font.cairoFace) cairo_set_font_face(cairo.get(), font.cairoFace);
      cairo_set_line_join(cairo.get(), CAIRO_LINE_JOIN_ROUND);
      Page page(cairo.get(), size);
      if (sections.size() > 1) contents(page);
      key(page);
      for (const PrintPage& one : sheets) {
        turnTo(sections[one.section].sideways);
        cairo_pdf_surface_set_size(surface.get(), size.x() * pointsPerMm, size.y() * pointsPerMm);
        page.size = size;
        sheet(page, one);
      }
      status = cairo_status(cairo.get());
    }
    cairo_surface_finish(surface.get());
    if (status == CAIRO_STATUS_SUCCESS) status = cairo_surface_status(surface.get());
    if (status != CAIRO_STATUS_SUCCESS) return Problem{"", cairo_status_to_string(status)};
    return bytes;
  }

private:
  void turnTo(bool sideways) {
    frame = pageFrame(paper, sideways);
    size = paperSize(paper);
    if (sideways) std::swap(size.x(), size.y());
  }

  /// "right", or "both" where both are in it.
  std::string handWords() const {
    const Hand first = sections.front().drawings.front().hand;
    for (const PrintSection& s : sections)
      if (s.drawings.front().hand != first || s.drawings.front().bothHands) return "both";
    return name(first);
  }
  std::string handLarge() const {
    const std::string words = handWords();
    return words == "both" ? "RIGHT HAND and LEFT HAND" : words == "right" ? "RIGHT HAND" : "LEFT HAND";
  }

  void foot(Page& page, const std::string& wing, const std::string& words, const std::string& part) {
    ++number;
    page.checkBars();
    page.ink(textInk, 0.2);
    page.text({size.x() - right, size.y() - 13}, fmt::format("page {} of {}", number, pages), 3.2, Anchor::right);
    page.text({left, size.y() - 7.5}, fmt::format("{}   {}   full size 1:1   {}", wing, words, part), 3.2);
  }

  void heading(Page& page, const std::string& words) {
    page.ink(textInk, 0.2);
    page.text({left, 20}, sections.front().drawings.front().wing, 8);
    page.text({left, 29}, words, 5);
    page.text({left, 37},
              "Print at 100 %, never “fit to page”. Measure both check bars before you cut: 100 mm along and up.", 3);
    page.text(
        {left, 42},
        fmt::format("Pages overlap by {:.0f} mm; lay the crosses of neighbouring pages on each other.", pageOverlap),
        3);
  }

  int firstPageOf(std::size_t section, std::size_t drawing) const {
    const int before = pages - static_cast<int>(sheets.size());
    for (std::size_t i = 0; i < sheets.size(); ++i)
      if (sheets[i].section == section && sheets[i].drawing == drawing) return before + static_cast<int>(i) + 1;
    return before;
  }

  /// What is on which page, and what it is printed for.
  void contents(Page& page) {
    heading(page, fmt::format("For the bench, {}, full size 1:1", handLarge()));
    double y = 54;
    for (std::size_t s = 0; s < sections.size(); ++s) {
      const PrintSection& section = sections[s];
      const Drawing& first = section.drawings.front();
      const int from = firstPageOf(s, 0);
      const auto ofIt = std::count_if(sheets.begin(), sheets.end(), [&](const PrintPage& p) { return p.section == s; });
      const int to = from + static_cast<int>(ofIt) - 1;
      page.text({left, y},
                fmt::format("{}, {} HAND", section.title.empty() ? first.title : section.title, nameLarge(first.hand)),
                3.6);
      page.text({left + 150, y}, from == to ? fmt::format("page {}", from) : fmt::format("pages {} to {}", from, to),
                3.2);
      page.ink(faintInk, 0.2);
      page.text({left + 4, y + 4}, section.purpose, 2.7);
      page.ink(textInk, 0.2);
      y += 9.5;
    }
    if (!legend.empty()) page.text({left, y + 4}, legend, 2.8);
    foot(page, sections.front().drawings.front().wing, "Contents   " + handLarge(), "");
    cairo_show_page(page.cr);
  }

  /// Small pictures with their pages' numbers, in a grid.
  void key(Page& page) {
    std::vector<std::pair<std::size_t, std::size_t>> all;
    for (std::size_t s = 0; s < sections.size(); ++s)
      for (std::size_t d = 0; d < sections[s].drawings.size(); ++d) all.emplace_back(s, d);
    const double top0 = 48, wide = frame.x() / keyColumns, high = (size.y() - bottom - top0) / keyRows;
    const std::string title = sections.size() > 1 ? "Key" : sections.front().drawings.front().title;
    for (std::size_t i = 0; i < all.size(); i += keyColumns * keyRows) {
      heading(page, fmt::format("{}, {}, full size 1:1", title, handLarge()));
      if (sections.size() == 1 && !legend.empty()) page.text({left, top0 - 1.5}, legend, 2.8); // there are no contents
      const std::size_t here = std::min(all.size() - i, keyColumns * keyRows);
      // Few drawings have larger pictures.
      const bool few = here <= 2;
      for (std::size_t k = 0; k < here; ++k) {
        const auto [s, d] = all[i + k];
        const std::size_t down = k / keyColumns; // whole rows
        const double column = static_cast<double>(k % keyColumns), row = static_cast<double>(down);
        const Point at =
            few ? Point(left, top0 + static_cast<double>(k) * (size.y() - bottom - top0) / static_cast<double>(here))
                : Point(left + wide * column, top0 + high * row);
        keyMap(page, s, d, at,
               few ? Point(frame.x(), (size.y() - bottom - top0) / static_cast<double>(here) - 6)
                   : Point(wide - 5, high - 8));
      }
      foot(page, sections.front().drawings.front().wing, title + "   " + handLarge(), "key");
      cairo_show_page(page.cr);
    }
  }

  /// A small picture of a drawing with its pages numbered.
  void keyMap(Page& page, std::size_t section, std::size_t drawing, const Point& at, const Point& room) {
    const Drawing& d = sections[section].drawings[drawing];
    const Point leaf = pageFrame(paper, sections[section].sideways);
    const Box box = d.bounds();
    std::vector<const PrintPage*> own;
    for (const PrintPage& p : sheets)
      if (p.section == section && p.drawing == drawing) own.push_back(&p);
    const double width = own.front()->columns * (leaf.x() - pageOverlap) + pageOverlap,
                 height = own.front()->rows * (leaf.y() - pageOverlap) + pageOverlap;
    const double scale = std::min(room.x() / width, room.y() / height);
    page.drawing(
        d, [&](const Point& p) -> Point { return at + Point(p.x() - box.low.x(), box.high.y() - p.y()) * scale; },
        scale);
    int number0 = firstPageOf(section, drawing);
    for (const PrintPage* p : own) {
      const Point low = at + Point(p->column * (leaf.x() - pageOverlap), p->row * (leaf.y() - pageOverlap)) * scale;
      page.ink(faintInk, 0.15);
      page.box(low, low + leaf * scale);
      page.ink(textInk, 0.15);
      page.text(low + Point(1.5, 4.5), fmt::format("{}", number0++), 3.5);
    }
  }

  void sheet(Page& page, const PrintPage& one) {
    const Drawing& d = sections[one.section].drawings[one.drawing];
    const Point from(one.window.low.x(), one.window.high.y());
    cairo_save(page.cr);
    cairo_rectangle(page.cr, left - 1, top - 1, frame.x() + 2, frame.y() + 2);
    cairo_clip(page.cr);
    page.drawing(
        d, [&](const Point& p) { return Point(left + p.x() - from.x(), top + from.y() - p.y()); }, 1);
    cairo_restore(page.cr);
    registers(page, one);
    foot(page, d.wing, fmt::format("{}   {}", d.title, handLargeOf(d)),
         one.rows * one.columns > 1
             ? fmt::format("row {} of {}, column {} of {}", one.row + 1, one.rows, one.column + 1, one.columns)
             : "");
    cairo_show_page(page.cr);
  }

  /// Crosses in the middle of each strip that is shared with a neighbour.
  void registers(Page& page, const PrintPage& one) {
    page.ink(faintInk, 0.15);
    const double x0 = left + pageOverlap / 2, x1 = left + frame.x() - pageOverlap / 2;
    const double y0 = top + pageOverlap / 2, y1 = top + frame.y() - pageOverlap / 2;
    const auto beside = [&](double x) { page.cross({x, y0}), page.cross({x, y1}); };
    const auto below = [&](double y) { page.cross({x0, y}), page.cross({x1, y}); };
    if (one.column > 0) beside(x0);
    if (one.column + 1 < one.columns) beside(x1);
    if (one.row > 0) below(y0);
    if (one.row + 1 < one.rows) below(y1);
  }

  const std::vector<PrintSection>& sections;
  Paper paper;
  std::string legend;
  std::vector<PrintPage> sheets;

public:
  int pages;

private:
  Point frame{0, 0}, size{0, 0};
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

/// Whether a straight piece of ink lies at least in part in the window (Liang and Barsky, 1984).
static bool crosses(const Box& window, const Point& a, const Point& b) {
  double from = 0, to = 1;
  const Point way = b - a;
  for (int axis = 0; axis < 2; ++axis)
    for (const bool low : {true, false}) {
      const double step = low ? -way[axis] : way[axis],
                   room = low ? a[axis] - window.low[axis] : window.high[axis] - a[axis];
      if (step == 0 && room < 0) return false;
      if (step < 0) from = std::max(from, room / step);
      if (step > 0) to = std::min(to, room / step);
    }
  return from <= to;
}

/// Whether anything is drawn or written on that page.
static bool hasInk(const Drawing& d, const Box& window) {
  for (const Stroke& s : d.strokes) {
    for (std::size_t i = 1; i < s.points.size(); ++i)
      if (crosses(window, s.points[i - 1], s.points[i])) return true;
    if (s.closed && !s.points.empty() && crosses(window, s.points.back(), s.points.front())) return true;
  }
  for (const Label& l : d.labels) { // by the middle line of its letters
    const double wide = textWidth(l.text, l.height), before = l.anchor == Anchor::left     ? 0
                                                              : l.anchor == Anchor::middle ? wide / 2
                                                                                           : wide;
    const Point along = l.turned ? Point(0, 1) : Point(1, 0), begin = l.at - along * before;
    if (crosses(window, begin, begin + along * wide)) return true;
  }
  return false;
}

std::vector<PrintPage> printPages(const std::vector<PrintSection>& sections, Paper paper) {
  std::vector<PrintPage> out;
  for (std::size_t s = 0; s < sections.size(); ++s) {
    const Point frame = pageFrame(paper, sections[s].sideways);
    for (std::size_t d = 0; d < sections[s].drawings.size(); ++d) {
      const Box box = sections[s].drawings[d].bounds();
      const Tiles t = tilesOf(sections[s].drawings[d], frame);
      for (int row = 0; row < t.down; ++row)
        for (int column = 0; column < t.across; ++column) {
          const Point from(box.low.x() + column * (frame.x() - pageOverlap),
                           box.high.y() - row * (frame.y() - pageOverlap));
          PrintPage page{s, d, {}, row, column, t.down, t.across};
          page.window.include(from);
          page.window.include(Point(from + Point(frame.x(), -frame.y())));
          if (hasInk(sections[s].drawings[d], page.window)) out.push_back(page); // no sheet is printed empty
        }
    }
  }
  return out;
}

int sheetCount(const std::vector<PrintSection>& sections, Paper paper) {
  return (sections.size() > 1 ? 1 : 0) + keyPages(drawingsIn(sections)) +
         static_cast<int>(printPages(sections, paper).size());
}

int pageCount(const std::vector<Drawing>& drawings, Paper paper, bool sideways) {
  return sheetCount({{drawings, sideways}}, paper);
}

bool betterSideways(const std::vector<Drawing>& drawings, Paper paper) {
  return pageCount(drawings, paper, true) < pageCount(drawings, paper, false);
}

Result<std::string> toPdf(const std::vector<PrintSection>& sections, Paper paper, const std::string& legend) {
  if (drawingsIn(sections) == 0) return Problem{"", "there is nothing to print"};
  Book book(sections, paper, legend);
  if (book.pages > 2000) return Problem{"", fmt::format("the drawing would take {} pages", book.pages)};
  return book.print();
}

Result<std::string> toPdf(const std::vector<Drawing>& drawings, Paper paper, bool sideways) {
  return toPdf(std::vector<PrintSection>{{drawings, sideways}}, paper);
}

} // namespace eup
