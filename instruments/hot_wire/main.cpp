// euptera-hot-wire: a simulated machine on a pseudo-terminal, in place of a real one on a serial port.
#include "hot_wire/simulated_wire.h"
#include <chrono>
#include <CLI/CLI.hpp>
#include <csignal>
#include <cstdio>
#include <cstdlib>
#include <fcntl.h>
#include <fmt/format.h>
#include <poll.h>
#include <termios.h>
#include <unistd.h>

namespace {

volatile std::sig_atomic_t ended = 0;
void end(int) {
  ended = 1;
}

/// A terminal's two sides: ours, and the name of the other.
int openTerminal(std::string& name) {
  const int fd = posix_openpt(O_RDWR | O_NOCTTY | O_NONBLOCK);
  if (fd < 0 || grantpt(fd) != 0 || unlockpt(fd) != 0) return -1;
  const char* other = ptsname(fd);
  if (other == nullptr) return -1;
  name = other;
  // Held open from here too, so that nobody's leaving ends it; raw, so that no byte is changed.
  const int held = open(other, O_RDWR | O_NOCTTY);
  termios raw{};
  if (held < 0 || tcgetattr(held, &raw) != 0) return -1;
  cfmakeraw(&raw);
  return tcsetattr(held, TCSANOW, &raw) == 0 ? fd : -1;
}

} // namespace

int main(int argc, char** argv) {
  using namespace eup::instruments;
  WireMachine machine;
  WireFaults faults;
  std::string link;
  double fast = 1;
  CLI::App app("A simulated hot wire with two towers. It prints the port to connect to, and works until it is ended.");
  app.add_option("--axes", machine.axes, "letters: inner tower aft and up, outer tower aft and up")
      ->check([](const std::string& s) { return s.size() == 4 ? std::string() : "four letters"; });
  app.add_option("--travel", machine.travel, "mm that each axis travels from zero");
  app.add_option("--fast", fast, "times as fast as a real one")->check(CLI::Range(0.1, 1000.0));
  app.add_option("--link", link, "a name for its port, made when it starts and taken away at its end");
  app.add_option("--noise", faults.noise, "share of the bytes that are garbled")->check(CLI::Range(0.0, 0.5));
  app.add_option("--dead-after", faults.deadAfter, "seconds from when on the line is dead");
  app.add_option("--slow", faults.slow, "seconds that each answer is late")->check(CLI::Range(0.0, 60.0));
  app.add_option("--stall-at", faults.stallAt, "a motor stalls in that line");
  app.add_option("--limit-at", faults.limitAt, "a limit switch is met in that line");
  app.add_option("--refuse-at", faults.refuseAt, "that line is refused");
  CLI11_PARSE(app, argc, argv)

  std::string port;
  const int fd = openTerminal(port);
  if (fd < 0) {
    fmt::print(stderr, "euptera-hot-wire: no pseudo-terminal can be opened\n");
    return 1;
  }
  if (!link.empty() && symlink(port.c_str(), link.c_str()) != 0) {
    fmt::print(stderr, "euptera-hot-wire: {} cannot be made; is it there already?\n", link);
    return 1;
  }
  std::signal(SIGINT, end), std::signal(SIGTERM, end), std::signal(SIGHUP, end);
  fmt::print("{}\n", link.empty() ? port : link);
  std::fflush(stdout);

  for (double* real : {&machine.patience, &faults.deadAfter, &faults.slow}) *real *= fast;
  SimulatedWire wire(machine, faults);
  const auto start = std::chrono::steady_clock::now();
  const pid_t parent = getppid();
  std::string out;
  while (ended == 0 && getppid() == parent) { // it ends with whoever started it
    pollfd watched{fd, static_cast<short>(POLLIN | (out.empty() ? 0 : POLLOUT)), 0};
    poll(&watched, 1, 10);
    const double now = fast * std::chrono::duration<double>(std::chrono::steady_clock::now() - start).count();
    char bytes[4096];
    if ((watched.revents & POLLIN) != 0)
      if (const ssize_t n = read(fd, bytes, sizeof bytes); n > 0)
        wire.hear(std::string_view(bytes, static_cast<std::size_t>(n)), now);
    out += wire.live(now);
    if (!out.empty())
      if (const ssize_t n = write(fd, out.data(), out.size()); n > 0) out.erase(0, static_cast<std::size_t>(n));
    if (out.size() > 1U << 20) out.clear(); // nobody reads
  }
  if (!link.empty()) unlink(link.c_str());
  return 0;
}
