// The words of a command line. One source file compiles the library behind it, for that takes longer than most
// programs.
#pragma once
#include <functional>
#include <initializer_list>
#include <iosfwd>
#include <memory>
#include <optional>
#include <string>
#include <vector>

namespace CLI {
class App;
class Option;
} // namespace CLI

namespace eup {

/// An option or a flag of a command, owned by its `Arguments`.
class Option {
public:
  Option& required();
  Option& excludes(const Option& other);
  Option& between(double low, double high);
  Option& oneOf(std::vector<std::string> words);
  /// A list is written with that letter between its values.
  Option& separatedBy(char letter);
  /// How many values a list takes.
  Option& expected(int least, int most);
  /// `wrong` says why not; nothing when the text will do.
  Option& check(std::function<std::string(const std::string&)> wrong);

private:
  friend class Command;
  explicit Option(CLI::Option* of) : option(of) {}
  CLI::Option* option;
};

/// The whole program or one of its commands, owned by its `Arguments`. Values are written to when the words are read.
/// An option's name begins with "--"; without it, it is a place in the order.
class Command {
public:
  Option flag(const std::string& name, bool& value, const std::string& what);
  Option option(const std::string& name, std::string& value, const std::string& what);
  Option option(const std::string& name, double& value, const std::string& what);
  Option option(const std::string& name, int& value, const std::string& what);
  Option option(const std::string& name, unsigned& value, const std::string& what);
  Option option(const std::string& name, std::optional<double>& value, const std::string& what);
  Option option(const std::string& name, std::optional<int>& value, const std::string& what);
  Option option(const std::string& name, std::vector<std::string>& value, const std::string& what);
  Option option(const std::string& name, std::vector<double>& value, const std::string& what);
  Option option(const std::string& name, std::vector<int>& value, const std::string& what);
  /// What is called when this command was given.
  void then(std::function<void()> given);

protected:
  explicit Command(CLI::App* of) : app(of) {}
  CLI::App* app;
};

/// All that a program may be told.
class Arguments : public Command {
public:
  explicit Arguments(const std::string& about, const std::string& program = "");
  ~Arguments();
  Arguments(const Arguments&) = delete;
  Arguments& operator=(const Arguments&) = delete;
  void version(const std::string& text);
  /// One of these is needed, once there is one.
  Command command(const std::string& name, const std::string& what);
  /// Reads the words after the program's name. What it ends with when it ends here: 0 after help or the version were
  /// written to `out`, another number after what is wrong was written to `err`; nothing when the work can begin.
  std::optional<int> read(const std::vector<std::string>& words, std::ostream& out, std::ostream& err);

private:
  std::unique_ptr<CLI::App> owned;
};

} // namespace eup
