// Files that travel inside the program: fonts, the tables of materials and load factors, the demo wings.
#pragma once
#include <optional>
#include <string>
#include <string_view>
#include <vector>

namespace eup::shipped {

std::string_view fontRegular();
std::string_view fontSemiBold();
std::string_view fontBold();
std::string_view materials();
std::string_view loadFactors();
std::string_view servos();

/// What a new wing had in version 8 of the file format: it stays as it is, so that old files read as they always did.
std::string_view newWingOfVersion8();

/// Names that `demo` answers to.
std::vector<std::string> demoNames();
/// The text of a demo wing's file; nothing if there is no demo of that name.
std::optional<std::string_view> demo(std::string_view name);

/// The bytes of a plan that a demo wing names; nothing if none ships under that name.
std::optional<std::string_view> plan(std::string_view file);

} // namespace eup::shipped
