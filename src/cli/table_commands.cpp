#include "cli/table_commands.h"
#include "cli/commands.h"
#include "cli/csv.h"
#include <fmt/format.h>
#include <ostream>

namespace eup::cli {
namespace {

/// A line for each value of each row: the tables have different columns.
template <class Row> void list(const char* table, const std::vector<Row>& rows, std::ostream& out) {
  for (const Row& r : rows)
    for (const Column<Row>& c : columnsOf(&r))
      out << fmt::format("{},{},{},{},{:.6g},{}\n", table, r.key, inQuotes(r.label), c.key, r.*c.value,
                         inQuotes(r.source));
}

} // namespace

int listTables(const Tables& own, std::ostream& out) {
  out << "table,key,name,what,value,known_from\n";
  for (const Tables* all : {&shippedTables(), &own})
    for (const Shelf s : shelves) onShelf(s, [&](auto table) { list(keyOf(s), all->*table, out); });
  return fine;
}

int bendTest(const BendArgs& args, std::ostream& out, std::ostream& err) {
  const Material* like = Tables{}.find(args.like);
  if (!like) {
    err << fmt::format("euptera-cli: --like: there is no material “{}”\n", args.like);
    return usage;
  }
  BendTest test = args.test;
  if (args.clamped) test.hold = BendHold::oneEnd;
  auto made = materialFrom(test, *like, args.label);
  if (!made) {
    err << fmt::format("euptera-cli: {}\n", made.problem().text());
    return usage;
  }
  Tables file;
  made.value().key = freshKey(file.materials);
  file.materials.push_back(std::move(made.value()));
  out << tablesToText(file);
  return fine;
}

} // namespace eup::cli
