// euptera-scales: simulated scales on a pseudo-terminal, in place of real ones on a serial port.
#include "reading/program.h"

int main(int argc, char** argv) {
  return eup::instruments::readerProgram(
      "euptera-scales",
      "Simulated scales. They print the port to connect to, and weigh until they are "
      "ended. A number typed is what lies on them, g.",
      {"scales", "g", 0.01, 0.3, false}, argc, argv);
}
