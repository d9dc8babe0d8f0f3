#include "cli/material_commands.h"
#include "cli/commands.h"
#include <fmt/format.h>
#include <ostream>

namespace eup::cli {
namespace {

std::string quoted(const std::string& text) {
  std::string out = "\"";
  for (const char c : text) out += c == '"' ? std::string("\"\"") : std::string(1, c);
  return out + "\"";
}

/// A line for each value of each row: the tables have different columns.
template <class Row> void list(const char* table, const std::vector<Row>& rows, std::ostream& out) {
  for (const Row& r : rows)
    for (const Column<Row>& c : columnsOf(&r))
      out << fmt::format("{},{},{},{},{:.6g},{}\n", table, r.key, quoted(r.label), c.key, r.*c.value, quoted(r.source));
}

} // namespace

int listMaterials(const Materials& own, std::ostream& out) {
  out << "table,key,name,what,value,known_from\n";
  for (const Materials* all : {&shippedMaterials(), &own}) {
    list(nameOf(Shelf::material), all->materials, out);
    list(nameOf(Shelf::covering), all->coverings, out);
    list(nameOf(Shelf::glue), all->glues, out);
  }
  return fine;
}

int bendTest(const BendArgs& args, std::ostream& out, std::ostream& err) {
  const Material* like = Materials{}.find(args.like);
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
  Materials file;
  made.value().key = freshKey(file.materials);
  file.materials.push_back(std::move(made.value()));
  out << materialsToText(file);
  return fine;
}

} // namespace eup::cli
