// JSON, by the library for it. Its parser and writer are compiled once, in json.cpp.
#pragma once
#include <nlohmann/json.hpp>

namespace eup {

/// Keys stay in the order in which they were put in.
using Json = nlohmann::ordered_json;

} // namespace eup

extern template class nlohmann::basic_json<nlohmann::ordered_map>;
extern template class nlohmann::basic_json<>;
