#include "places.h"

namespace eup::test {

std::string sourceFile(const std::string& name) {
  return std::string(SOURCE_ROOT "/") + name;
}

std::string testFile(const std::string& name) {
  return sourceFile("tests/files/" + name);
}

} // namespace eup::test
