// What the programs of simulated reading instruments have in common.
#pragma once
#include "reading/simulated_reader.h"

namespace eup::instruments {

/// Serves it on a pseudo-terminal by the command line's options; numbers typed are what it lies on, "turn" turns it
/// round. Returns the exit code.
int readerProgram(const char* program, const char* about, const ReaderKind& kind, int argc, char** argv);

} // namespace eup::instruments
