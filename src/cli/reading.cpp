#include "cli/reading.h"
#include "cli/commands.h"
#include "core/described/design_file.h"
#include "core/exchange/report.h"
#include "core/files/bytes.h"
#include "core/files/text_file.h"
#include <fmt/format.h>
#include <ostream>

namespace eup::cli {

int refuse(Streams io, const std::string& what, const Problem& problem, int code) {
  io.err << "euptera-cli: " << withoutControls(fmt::format("{}: {}", what, problem.text())) << '\n';
  return code;
}

std::variant<Design, int> designOf(const std::string& path, Streams io) {
  const auto text = readTextFile(path);
  if (!text) return refuse(io, "cannot read", text.problem(), unreadable);
  auto read = designFromText(text.value());
  if (!read) return refuse(io, path, read.problem(), unreadable);
  for (const std::string& note : read.value().notes)
    io.err << withoutControls(fmt::format("note: {}: {}", path, note)) << '\n';
  return std::move(read.value().design);
}

std::variant<TrueWing, int> trueWingOf(const std::string& path, Streams io) {
  const auto design = designOf(path, io);
  if (const int* code = std::get_if<int>(&design)) return *code;
  auto result = work(std::get<Design>(design));
  if (auto* wing = std::get_if<TrueWing>(&result)) return std::move(*wing);
  io.err << findingsText(std::get<std::vector<Finding>>(result));
  return seriousFindings;
}

} // namespace eup::cli
