// Drawn plans: a page of a PDF, an SVG, drawn in bands at a stated resolution.
#include "core/files/text_file.h"
#include "reader/bands.h"
#include <librsvg/rsvg.h>
#include <map>
#include <poppler-document.h>
#include <poppler-global.h>
#include <poppler-page-renderer.h>
#include <poppler-page.h>
#include <pugixml.hpp>
#include <set>
#include <sstream>
#include <string>

namespace eup::image_readers {

static Result<Picture> readPdf(const std::filesystem::path& path, const OpenOrder& order, const Progress& progress) {
  poppler::set_debug_error_function([](const std::string&, void*) {}, nullptr);
  const std::unique_ptr<poppler::document> document(poppler::document::load_from_file(path.string()));
  if (!document) return Problem{"", "damaged PDF: it cannot be read"};
  if (document->is_locked()) return Problem{"", "the PDF is locked with a password"};
  Picture picture;
  picture.pages = document->pages();
  if (order.page < 1 || order.page > picture.pages)
    return Problem{"", fmt::format("there is no page {}; the PDF has {}", order.page, picture.pages)};
  const std::unique_ptr<poppler::page> page(document->create_page(order.page - 1));
  if (!page) return Problem{"", fmt::format("damaged PDF: page {} cannot be read", order.page)};
  const poppler::rectf rect = page->page_rect();
  const bool turned = page->orientation() == poppler::page::landscape || page->orientation() == poppler::page::seascape;
  const double wide = (turned ? rect.height() : rect.width()) / 72, high = (turned ? rect.width() : rect.height()) / 72;
  if (!(wide > 0 && high > 0 && wide < 1e5 && high < 1e5)) return Problem{"", "the PDF's page has no size"};
  picture.dpi = fitting(order.vectorDpi, wide, high, picture.notes);
  auto raster = paper(std::ceil(wide * picture.dpi), std::ceil(high * picture.dpi));
  if (!raster) return raster.problem();
  picture.raster = std::move(raster.value());
  poppler::page_renderer renderer;
  renderer.set_render_hint(poppler::page_renderer::antialiasing);
  renderer.set_render_hint(poppler::page_renderer::text_antialiasing);
  renderer.set_image_format(poppler::image::format_gray8);
  Raster& to = picture.raster;
  for (int y = 0; y < to.height; y += bandRows) {
    if (progress && !progress(static_cast<double>(y) / to.height)) return Problem{"", stopped};
    const int rows = std::min(bandRows, to.height - y);
    const poppler::image image = renderer.render_page(page.get(), picture.dpi, picture.dpi, 0, y, to.width, rows);
    if (!image.is_valid() || image.format() != poppler::image::format_gray8 || image.width() < to.width ||
        image.height() < rows)
      return Problem{"", "damaged PDF: the page cannot be drawn"};
    for (int j = 0; j < rows; ++j)
      std::memcpy(to.row(y + j), image.const_data() + static_cast<std::ptrdiff_t>(j) * image.bytes_per_row(),
                  static_cast<std::size_t>(to.width));
  }
  return picture;
}

namespace {

/// How many things an SVG draws when all that is used again is counted each time, and its filters taken off: they cost
/// minutes, and no plan needs them.
class SvgWeight {
public:
  explicit SvgWeight(pugi::xml_document& document) { gather(document); }
  int filters = 0;
  bool deep = false;
  double of(const pugi::xml_node& node, int depth = 0) {
    if (depth > mostDeep) deep = true;
    if (deep) return 0;
    double sum = 1;
    for (const pugi::xml_node& child : node.children()) sum += of(child, depth + 1);
    if (const char* name = node.name(); std::string_view(name).ends_with("use")) {
      const char* to = node.attribute("href") ? node.attribute("href").value() : node.attribute("xlink:href").value();
      const std::string id = *to == '#' ? to + 1 : "";
      if (const auto known = weights.find(id); known != weights.end())
        sum += known->second;
      else if (const auto found = named.find(id); found != named.end() && open.insert(id).second) {
        sum += weights[id] = of(found->second, depth + 1);
        open.erase(id);
      }
    }
    return std::min(sum, 1e18);
  }

private:
  static constexpr int mostDeep = 200;
  void gather(pugi::xml_node node) {
    for (pugi::xml_node next = node.first_child(); next;) { // without recursion: a file may nest as deep as it likes
      if (const char* id = next.attribute("id").value(); *id) named.emplace(id, next);
      if (next.remove_attribute("filter")) ++filters;
      if (pugi::xml_attribute style = next.attribute("style"))
        if (std::string_view(style.value()).find("filter") != std::string_view::npos)
          ++filters, next.remove_attribute(style);
      if (next.first_child()) {
        next = next.first_child();
        continue;
      }
      while (next && next != node && !next.next_sibling()) next = next.parent();
      next = next && next != node ? next.next_sibling() : pugi::xml_node();
    }
  }
  std::map<std::string, pugi::xml_node> named;
  std::map<std::string, double> weights;
  std::set<std::string> open;
};

/// The text to draw: without filters. Refuses what would draw its parts without end.
Result<std::string> harmlessSvg(std::string text, std::vector<std::string>& notes) {
  pugi::xml_document document;
  if (!document.load_buffer(text.data(), text.size())) return text; // what is wrong with it the library says better
  SvgWeight weight(document);
  constexpr double most = 500'000;
  if (weight.of(document) > most || weight.deep)
    return Problem{"", "the SVG uses its parts again so often that it would not be drawn in any time"};
  if (weight.filters == 0) return text;
  notes.emplace_back("the SVG's filters are left out");
  std::ostringstream out;
  document.save(out, "", pugi::format_raw);
  return out.str();
}

} // namespace

static Result<Picture> readSvg(const std::filesystem::path& path, const OpenOrder& order, const Progress& progress) {
  auto whole = readTextFile(path, largestDrawing);
  if (!whole) return Problem{"", whole.problem().cause};
  Picture picture;
  const auto text = harmlessSvg(std::move(whole.value()), picture.notes);
  if (!text) return text.problem();
  GError* error = nullptr;
  RsvgHandle* handle =
      rsvg_handle_new_from_data(reinterpret_cast<const guint8*>(text.value().data()), text.value().size(), &error);
  if (!handle) {
    Problem problem{"", fmt::format("damaged SVG: {}", error ? error->message : "it cannot be read")};
    g_clear_error(&error);
    return problem;
  }
  const std::unique_ptr<RsvgHandle, void (*)(gpointer)> owner(handle, g_object_unref);
  rsvg_handle_set_dpi(handle, 96);
  double w = 0, h = 0;
  if (!rsvg_handle_get_intrinsic_size_in_pixels(handle, &w, &h)) {
    gboolean hasWidth = 0, hasHeight = 0, hasBox = 0;
    RsvgLength width, height;
    RsvgRectangle box{};
    rsvg_handle_get_intrinsic_dimensions(handle, &hasWidth, &width, &hasHeight, &height, &hasBox, &box);
    if (!hasBox) return Problem{"", "the SVG says no size: give it a width and a height"};
    w = box.width, h = box.height;
    picture.notes.emplace_back("the SVG gives no width and height; its own units are taken as pixels");
  }
  const double wide = w / 96, high = h / 96;
  if (!(wide > 0 && high > 0 && wide < 1e5 && high < 1e5)) return Problem{"", "the SVG has no size"};
  picture.dpi = fitting(order.vectorDpi, wide, high, picture.notes);
  auto raster = paper(std::ceil(wide * picture.dpi), std::ceil(high * picture.dpi));
  if (!raster) return raster.problem();
  picture.raster = std::move(raster.value());
  const RsvgRectangle view{0, 0, wide * picture.dpi, high * picture.dpi};
  const auto done = drawBands(picture.raster, progress, [&](cairo_t* context) -> std::optional<std::string> {
    GError* fault = nullptr;
    if (rsvg_handle_render_document(handle, context, &view, &fault)) return {};
    std::string words = fmt::format("the SVG cannot be drawn: {}", fault ? fault->message : "");
    g_clear_error(&fault);
    return words;
  });
  if (!done) return done.problem();
  return picture;
}

Result<Picture> drawPlan(Drawn kind, const std::filesystem::path& path, const OpenOrder& order,
                         const Progress& progress) {
  switch (kind) {
  case Drawn::pdf:
    return readPdf(path, order, progress);
  case Drawn::svg:
    return readSvg(path, order, progress);
  case Drawn::dxf:
    break;
  }
  return readDxf(path, order, progress);
}

} // namespace eup::image_readers
