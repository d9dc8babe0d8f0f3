// Wing files of older versions brought up to the form of this one, before they are read.
#pragma once
#include "core/files/json.h"

namespace eup {

/// `version` is the file's own, 1 or more. What a version did not know yet is as in a new wing. Whatever in it has not
/// the shape that it should have is left for the reader to refuse.
void migrate(Json& file, int version);

} // namespace eup
