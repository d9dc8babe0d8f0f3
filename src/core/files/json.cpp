#include "core/files/json.h"

template class nlohmann::basic_json<nlohmann::ordered_map>;
template class nlohmann::basic_json<>;
