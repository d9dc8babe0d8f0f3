#include "reading/program.h"
#include "terminal.h"
#include <CLI/CLI.hpp>
#include <cstdlib>

namespace eup::instruments {

int readerProgram(const char* program, const char* about, const ReaderKind& kind, int argc, char** argv) {
  ReaderFaults faults;
  std::string link;
  double value = 0, fast = 1;
  CLI::App app(about);
  app.add_option("--value", value, "what it lies on at first");
  app.add_option("--drift", faults.drift, "it drifts by so much a minute");
  app.add_option("--noise", faults.noise, "one standard deviation of its readings")->check(CLI::Range(0.0, 1e6));
  app.add_option("--offset", faults.offset, "it reads so much too high");
  app.add_option("--dropped", faults.dropped, "share of its lines that never go")->check(CLI::Range(0.0, 1.0));
  app.add_option("--garbled", faults.garbled, "share of its lines with a wrong byte")->check(CLI::Range(0.0, 1.0));
  app.add_option("--rubbish", faults.rubbish, "share of its lines that are none")->check(CLI::Range(0.0, 1.0));
  app.add_option("--silent-after", faults.silentAfter, "seconds from when on nothing comes");
  app.add_option("--seed", faults.seed, "of noise and faults");
  app.add_option("--fast", fast, "times as fast as a real one")->check(CLI::Range(0.1, 1000.0));
  app.add_option("--link", link, "a name for its port, made when it starts and taken away at its end");
  CLI11_PARSE(app, argc, argv)
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
