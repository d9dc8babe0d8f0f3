// How wings, panels and all that a wing carries came by numbers of their own, in files of older versions.
#pragma once
#include "core/files/json.h"

namespace eup {

/// Since version 20 wings and panels keep a number for good; what was recorded was told by their places till then. And
/// slots are cut square to the rib unless they are filed.
void migrateNumbers(Json& file);
/// Since version 21 all that a wing carries keeps a number for good, from 1: till then it was told by its place, and
/// what is looked at before a panel is closed by its name.
void migrateItems(Json& file);

} // namespace eup
