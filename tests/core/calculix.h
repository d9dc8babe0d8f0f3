// Models of finite elements, solved by CalculiX (package calculix-ccx).
#pragma once
#include "support.h"
#include <cstdlib>
#include <fmt/format.h>
#include <map>

namespace eup::test {

using Moves = std::map<int, Point3>;

/// Displacements of the nodes that the model prints, by number. The model's text ends before its step.
inline Moves solved(const std::string& model, const std::string& loads, const std::string& nodes) {
  const ScratchFolder folder;
  std::ofstream(folder.path / "model.inp") << model << "*NSET, NSET=ASKED\n"
                                           << nodes << "*STEP\n*STATIC\n*CLOAD\n"
                                           << loads << "*NODE PRINT, NSET=ASKED\nU\n*END STEP\n";
  const std::string command = fmt::format("cd '{}' && OMP_NUM_THREADS=1 ccx model >said 2>&1", folder.path.string());
  EXPECT_EQ(std::system(command.c_str()), 0) << slurp(folder.path / "said");
  std::ifstream in(folder.path / "model.dat");
  Moves out;
  std::string line;
  while (std::getline(in, line)) {
    std::istringstream row(line);
    int node = 0;
    double x = 0, y = 0, z = 0;
    if (row >> node >> x >> y >> z) out[node] = {x, y, z};
  }
  EXPECT_FALSE(out.empty()) << slurp(folder.path / "said");
  return out;
}

} // namespace eup::test
