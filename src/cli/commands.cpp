#include "core/work/true_wing.h"
int stub() { return 0; }
