// The commands of euptera-cli on the tables of materials and load factors: their rows, and a bend test.
#pragma once
#include "core/design/bend_test.h"
#include <iosfwd>

namespace eup::cli {

struct BendArgs {
  BendTest test;
  bool clamped = false;
  std::string like = "balsa-160", label = "own strip";
};

/// Every row of every table, those of `own` last, as CSV.
int listTables(const Tables& own, std::ostream& out);
/// A file with one row, for the window's tables.
int bendTest(const BendArgs& args, std::ostream& out, std::ostream& err);

} // namespace eup::cli
