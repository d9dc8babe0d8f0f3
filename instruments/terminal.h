// A pseudo-terminal in place of a serial port: what a simulated device speaks over.
#pragma once
#include <functional>
#include <string>
#include <string_view>

namespace eup::instruments {

/// Prints the name of a port (or makes `link` name it), hands what comes in to `hear` and writes what `live` gives,
/// until it is ended or whoever started it is gone. `now` is seconds since the start. Returns the exit code.
/// `listen`: lines of standard input are handed to it as they come.
int serve(const char* program, const std::string& link, const std::function<void(std::string_view, double now)>& hear,
          const std::function<std::string(double now)>& live, double fast = 1,
          const std::function<void(const std::string&)>& listen = {});

/// The sum that ends a line, four hexadecimal digits: of its bytes before " ^", by the polynomial x¹⁶ + x¹² + x⁵ + 1
/// from ffff on (ITU-T V.41's, most significant bit first).
std::string sumOf(std::string_view words);

} // namespace eup::instruments
