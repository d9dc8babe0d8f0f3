// euptera-gauge: a simulated incidence gauge on a pseudo-terminal, in place of a real one on a serial port.
#include "reading/program.h"

int main(int argc, char** argv) {
  return eup::instruments::readerProgram(
      "euptera-gauge",
      "A simulated incidence gauge. It prints the port to connect to, and reads until it is ended. A number typed is "
      "the angle that it lies on, “turn” turns it round.",
      {"gauge", "deg", 0.01, 0.6, true}, argc, argv);
}
