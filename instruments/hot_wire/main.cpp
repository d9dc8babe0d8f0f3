// euptera-hot-wire: a simulated machine on a pseudo-terminal, in place of a real one on a serial port.
#include "hot_wire/simulated_wire.h"
#include "terminal.h"
#include <CLI/CLI.hpp>

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

  for (double* real : {&machine.patience, &faults.deadAfter, &faults.slow}) *real *= fast;
  SimulatedWire wire(machine, faults);
  return serve(
      "euptera-hot-wire", link, [&](std::string_view bytes, double now) { wire.hear(bytes, now); },
      [&](double now) { return wire.live(now); }, fast);
}
