#include "arguments.h"
#include <CLI/CLI.hpp>

namespace eup {

Option& Option::required() {
  option->required();
  return *this;
}

Option& Option::excludes(const Option& other) {
  option->excludes(other.option);
  return *this;
}

Option& Option::between(double low, double high) {
  option->check(CLI::Range(low, high));
  return *this;
}

Option& Option::oneOf(std::vector<std::string> words) {
  option->check(CLI::IsMember(std::move(words)));
  return *this;
}

Option& Option::separatedBy(char letter) {
  option->delimiter(letter);
  return *this;
}

Option& Option::expected(int least, int most) {
  option->expected(least, most);
  return *this;
}

Option& Option::check(std::function<std::string(const std::string&)> wrong) {
  option->check(std::move(wrong));
  return *this;
}

Option Command::flag(const std::string& name, bool& value, const std::string& what) {
  return Option(app->add_flag(name, value, what));
}
Option Command::option(const std::string& name, std::string& value, const std::string& what) {
  return Option(app->add_option(name, value, what));
}
Option Command::option(const std::string& name, double& value, const std::string& what) {
  return Option(app->add_option(name, value, what));
}
Option Command::option(const std::string& name, int& value, const std::string& what) {
  return Option(app->add_option(name, value, what));
}
Option Command::option(const std::string& name, unsigned& value, const std::string& what) {
  return Option(app->add_option(name, value, what));
}
Option Command::option(const std::string& name, std::optional<double>& value, const std::string& what) {
  return Option(app->add_option(name, value, what));
}
Option Command::option(const std::string& name, std::optional<int>& value, const std::string& what) {
  return Option(app->add_option(name, value, what));
}
Option Command::option(const std::string& name, std::vector<std::string>& value, const std::string& what) {
  return Option(app->add_option(name, value, what));
}
Option Command::option(const std::string& name, std::vector<double>& value, const std::string& what) {
  return Option(app->add_option(name, value, what));
}
Option Command::option(const std::string& name, std::vector<int>& value, const std::string& what) {
  return Option(app->add_option(name, value, what));
}

void Command::then(std::function<void()> given) {
  app->callback(std::move(given));
}

Arguments::Arguments(const std::string& about, const std::string& program)
    : Command(nullptr), owned(std::make_unique<CLI::App>(about, program)) {
  app = owned.get();
}
Arguments::~Arguments() = default;

void Arguments::version(const std::string& text) {
  app->set_version_flag("--version", text);
}

Command Arguments::command(const std::string& name, const std::string& what) {
  struct Made : Command {
    explicit Made(CLI::App* of) : Command(of) {}
  };
  app->require_subcommand(1);
  return Made(app->add_subcommand(name, what));
}

std::optional<int> Arguments::read(const std::vector<std::string>& words, std::ostream& out, std::ostream& err) {
  std::vector<std::string> reversed(words.rbegin(), words.rend());
  try {
    app->parse(reversed);
  } catch (const CLI::ParseError& error) {
    return app->exit(error, out, err);
  }
  return std::nullopt;
}

} // namespace eup
