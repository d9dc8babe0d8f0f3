#include "core/files/shipped.h"

extern "C" {
extern const char eup_font_regular_begin[], eup_font_regular_end[];
extern const char eup_font_semibold_begin[], eup_font_semibold_end[];
extern const char eup_font_bold_begin[], eup_font_bold_end[];
extern const char eup_materials_begin[], eup_materials_end[];
extern const char eup_demo_fenlark_begin[], eup_demo_fenlark_end[];
}

namespace eup::shipped {

static std::string_view between(const char* begin, const char* end) {
  return {begin, static_cast<std::size_t>(end - begin)};
}

std::string_view fontRegular() {
  return between(eup_font_regular_begin, eup_font_regular_end);
}
std::string_view fontSemiBold() {
  return between(eup_font_semibold_begin, eup_font_semibold_end);
}
std::string_view fontBold() {
  return between(eup_font_bold_begin, eup_font_bold_end);
}
std::string_view materials() {
  return between(eup_materials_begin, eup_materials_end);
}

std::vector<std::string> demoNames() {
  return {"fenlark-1500"};
}

std::optional<std::string_view> demo(std::string_view name) {
  if (name == "fenlark-1500") return between(eup_demo_fenlark_begin, eup_demo_fenlark_end);
  return std::nullopt;
}

} // namespace eup::shipped
