#include "core/drawing/table.h"

namespace eup {

Drawing tableOf(const std::string& head, const std::vector<double>& columns,
                const std::vector<std::vector<std::string>>& rows) {
  Drawing d;
  if (!head.empty()) d.write({0, 0}, head, 3.5);
  double y = -tableRow - 1;
  for (std::size_t i = 0; i < rows.size(); ++i, y -= tableRow) {
    for (std::size_t k = 0; k < rows[i].size(); ++k) d.write({columns[k], y}, rows[i][k], 2.6);
    if (i == 0) d.line(Layer::text, {0, y - 1.2}, {columns.back() + 28, y - 1.2});
  }
  return d;
}

} // namespace eup
