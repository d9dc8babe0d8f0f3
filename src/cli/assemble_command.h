// euptera-cli assemble: the wing put together again from its flat parts.
#pragma once
#include "core/trials/trial_assembly.h"
#include <iosfwd>

namespace eup::cli {

struct AssembleArgs {
  std::vector<std::string> notches, packing; ///< "R3=0.3": rib and mm
  std::vector<std::string> braces;           ///< "1=0.5": panel and degrees
  bool json = false;
};

/// The faults that are typed, or why not.
Result<std::vector<AssemblyFault>> faultsOf(const AssembleArgs& args, const WholeWing& wing);

/// Writes it as a table, or as JSON.
void tellAssembly(const WholeWing& wing, const std::vector<AssemblyFault>& faults, bool json, std::ostream& out);

} // namespace eup::cli
