// euptera-hot-wire: a simulated machine on a pseudo-terminal, in place of a real one on a serial port.
#include "arguments.h"
#include "hot_wire/simulated_wire.h"
#include "terminal.h"
#include <algorithm>
#include <iostream>

int main(int argc, char** argv) {
  using namespace eup;
  using namespace eup::instruments;
  WireMachine machine;
  WireFaults faults;
  std::string link;
  std::vector<double> travel(machine.travel.begin(), machine.travel.end());
  double fast = 1;
  Arguments app("A simulated hot wire with two towers. It prints the port to connect to, and works until it is ended.");
  app.option("--axes", machine.axes, "letters: inner tower aft and up, outer tower aft and up")
      .check([](const std::string& s) { return s.size() == 4 ? std::string() : "four letters"; });
  app.option("--travel", travel, "mm that each axis travels from zero").expected(4, 4);
  app.option("--fast", fast, "times as fast as a real one").between(0.1, 1000.0);
  app.option("--link", link, "a name for its port, made when it starts and taken away at its end");
  app.option("--noise", faults.noise, "share of the bytes that are garbled").between(0.0, 0.5);
  app.option("--dead-after", faults.deadAfter, "seconds from when on the line is dead");
  app.option("--slow", faults.slow, "seconds that each answer is late").between(0.0, 60.0);
  app.option("--stall-at", faults.stallAt, "a motor stalls in that line");
  app.option("--limit-at", faults.limitAt, "a limit switch is met in that line");
  app.option("--refuse-at", faults.refuseAt, "that line is refused");
  if (const auto end = app.read({argv + 1, argv + argc}, std::cout, std::cerr)) return *end;
  std::copy(travel.begin(), travel.end(), machine.travel.begin());

  for (double* real : {&machine.patience, &faults.deadAfter, &faults.slow}) *real *= fast;
  SimulatedWire wire(machine, faults);
  return serve(
      "euptera-hot-wire", link, [&](std::string_view bytes, double now) { wire.hear(bytes, now); },
      [&](double now) { return wire.live(now); }, fast);
}
