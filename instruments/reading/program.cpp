#include "reading/program.h"
#include "arguments.h"
#include "terminal.h"
#include <cstdlib>
#include <iostream>

namespace eup::instruments {

int readerProgram(const char* program, const char* about, const ReaderKind& kind, int argc, char** argv) {
  ReaderFaults faults;
  std::string link;
  double value = 0, fast = 1;
  Arguments app(about);
  app.option("--value", value, "what it lies on at first");
  app.option("--drift", faults.drift, "it drifts by so much a minute");
  app.option("--noise", faults.noise, "one standard deviation of its readings").between(0.0, 1e6);
  app.option("--offset", faults.offset, "it reads so much too high");
  app.option("--dropped", faults.dropped, "share of its lines that never go").between(0.0, 1.0);
  app.option("--garbled", faults.garbled, "share of its lines with a wrong byte").between(0.0, 1.0);
  app.option("--rubbish", faults.rubbish, "share of its lines that are none").between(0.0, 1.0);
  app.option("--silent-after", faults.silentAfter, "seconds from when on nothing comes");
  app.option("--seed", faults.seed, "of noise and faults");
  app.option("--fast", fast, "times as fast as a real one").between(0.1, 1000.0);
  app.option("--link", link, "a name for its port, made when it starts and taken away at its end");
  if (const auto end = app.read({argv + 1, argv + argc}, std::cout, std::cerr)) return *end;
  SimulatedReader reader(kind, faults);
  reader.put(value);
  return serve(
      program, link, [&](std::string_view bytes, double now) { reader.hear(bytes, now); },
      [&](double now) { return reader.live(now); }, fast,
      [&](const std::string& typed) {
        if (typed == "turn") return reader.turnRound();
        char* end = nullptr;
        const double number = std::strtod(typed.c_str(), &end);
        if (end != typed.c_str()) reader.put(number);
      });
}

} // namespace eup::instruments
