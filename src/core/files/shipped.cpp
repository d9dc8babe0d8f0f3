#include "core/files/shipped.h"

extern "C" {
extern const char eup_font_regular_begin[], eup_font_regular_end[];
extern const char eup_font_semibold_begin[], eup_font_semibold_end[];
extern const char eup_font_bold_begin[], eup_font_bold_end[];
extern const char eup_materials_begin[], eup_materials_end[];
extern const char eup_loads_begin[], eup_loads_end[];
extern const char eup_servos_begin[], eup_servos_end[];
extern const char eup_new_wing_8_begin[], eup_new_wing_8_end[];
extern const char eup_demo_fenlark_begin[], eup_demo_fenlark_end[];
extern const char eup_demo_plan_begin[], eup_demo_plan_end[];
extern const char eup_demo_faulty_begin[], eup_demo_faulty_end[];
extern const char eup_demo_tarnbrook_begin[], eup_demo_tarnbrook_end[];
extern const char eup_demo_skerrow_begin[], eup_demo_skerrow_end[];
extern const char eup_demo_lanehurst_begin[], eup_demo_lanehurst_end[];
extern const char eup_demo_oldacre_begin[], eup_demo_oldacre_end[];
extern const char eup_demo_bracklow_begin[], eup_demo_bracklow_end[];
extern const char eup_demo_whinmoor_begin[], eup_demo_whinmoor_end[];
extern const char eup_demo_calderby_begin[], eup_demo_calderby_end[];
extern const char eup_demo_gossamoor_begin[], eup_demo_gossamoor_end[];
extern const char eup_plan_clean_begin[], eup_plan_clean_end[];
extern const char eup_plan_faulty_begin[], eup_plan_faulty_end[];
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
std::string_view loadFactors() {
  return between(eup_loads_begin, eup_loads_end);
}

std::string_view servos() {
  return between(eup_servos_begin, eup_servos_end);
}

std::string_view newWingOfVersion8() {
  return between(eup_new_wing_8_begin, eup_new_wing_8_end);
}

static std::vector<std::pair<std::string, std::string_view>> demos() {
  return {{"fenlark-1500", between(eup_demo_fenlark_begin, eup_demo_fenlark_end)},
          {"tarnbrook-2000", between(eup_demo_tarnbrook_begin, eup_demo_tarnbrook_end)},
          {"skerrow-1460", between(eup_demo_skerrow_begin, eup_demo_skerrow_end)},
          {"lanehurst-1180", between(eup_demo_lanehurst_begin, eup_demo_lanehurst_end)},
          {"oldacre-1320", between(eup_demo_oldacre_begin, eup_demo_oldacre_end)},
          {"gossamoor-480", between(eup_demo_gossamoor_begin, eup_demo_gossamoor_end)},
          {"bracklow-430", between(eup_demo_bracklow_begin, eup_demo_bracklow_end)},
          {"whinmoor-1250", between(eup_demo_whinmoor_begin, eup_demo_whinmoor_end)},
          {"calderby-2200", between(eup_demo_calderby_begin, eup_demo_calderby_end)},
          {"fenlark-plan", between(eup_demo_plan_begin, eup_demo_plan_end)},
          {"fenlark-faulty-plan", between(eup_demo_faulty_begin, eup_demo_faulty_end)}};
}

std::vector<std::string> demoNames() {
  std::vector<std::string> names;
  for (const auto& [name, text] : demos()) names.push_back(name);
  return names;
}

std::optional<std::string_view> demo(std::string_view wanted) {
  for (const auto& [name, text] : demos())
    if (name == wanted) return text;
  return std::nullopt;
}

std::optional<std::string_view> plan(std::string_view file) {
  if (file == "fenlark-plan.png") return between(eup_plan_clean_begin, eup_plan_clean_end);
  if (file == "fenlark-faulty-plan.png") return between(eup_plan_faulty_begin, eup_plan_faulty_end);
  return std::nullopt;
}

} // namespace eup::shipped
