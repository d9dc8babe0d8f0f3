// What every command begins with: a wing's file is read, or it is said why not.
#pragma once
#include "core/measure/result.h"
#include "core/wing/true_wing.h"
#include <iosfwd>
#include <string>
#include <variant>

namespace eup::cli {

struct Streams {
  std::ostream& out;
  std::ostream& err;
};

/// Says what is wrong, and gives the code back.
int refuse(Streams io, const std::string& what, const Problem& problem, int code);
/// The design of a file, or the exit code after saying what is wrong.
std::variant<Design, int> designOf(const std::string& path, Streams io);
/// The wing of a file, or the exit code after saying what is wrong.
std::variant<TrueWing, int> trueWingOf(const std::string& path, Streams io);

} // namespace eup::cli
