#include "cli/commands.h"
#include <csignal>
#include <iostream>
#include <new>

int main(int argc, char** argv) {
  std::signal(SIGPIPE, SIG_IGN); // a reader that has gone is told like a full disk
  try {
    const int code = eup::cli::run(std::vector<std::string>(argv + 1, argv + argc), std::cout, std::cerr);
    std::cout.flush();
    if (std::cout) return code;
    std::cerr << "euptera-cli: the output cannot be written\n";
  } catch (const std::bad_alloc&) {
    std::cerr << "euptera-cli: there is not enough memory for that\n";
  }
  return eup::cli::unreadable;
}
