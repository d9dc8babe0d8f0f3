// Where the project's own files lie, for tests that read them.
#pragma once
#include <string>

namespace eup::test {

/// A file of the project: "data/demos/fenlark-plan.png".
std::string sourceFile(const std::string& name);
/// A file of tests/files: "version1.euptera".
std::string testFile(const std::string& name);

} // namespace eup::test
