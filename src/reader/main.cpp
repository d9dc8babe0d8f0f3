// The program that draws plans, so that the one who works on a wing need not: it can fail or be ended without harm.
#include "core/plan/reading_apart.h"
#include "reader/drawn_plans.h"
#include <new>
#include <unistd.h>

int main(int argc, char** argv) {
  int code = 3;
  try {
    code = eup::image_readers::answerApart(argc, argv, STDOUT_FILENO, eup::image_readers::drawPlan);
  } catch (const std::bad_alloc&) {
    code = 4; // who asked sees that nothing came
  }
  ::_exit(code); // the libraries keep what they have loaded, and nothing of it matters now
}
