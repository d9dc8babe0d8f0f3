// An answer or the reason why there is none. Reading the outside world never throws: it returns one of these.
#pragma once
#include <cassert>
#include <string>
#include <utility>
#include <variant>

namespace eup {

/// Why something from outside was refused: the place ("line 7", "/panel/rootChord") and the cause in plain words.
struct Problem {
  std::string place;
  std::string cause;
  bool operator==(const Problem&) const = default;

  std::string text() const { return place.empty() ? cause : place + ": " + cause; }
};

template <class T> class [[nodiscard]] Result {
public:
  Result(T value) : held(std::move(value)) {}
  Result(Problem problem) : held(std::move(problem)) {}

  bool ok() const { return std::holds_alternative<T>(held); }
  explicit operator bool() const { return ok(); }

  const T& value() const {
    assert(ok());
    return std::get<T>(held);
  }
  T& value() {
    assert(ok());
    return std::get<T>(held);
  }
  const Problem& problem() const {
    assert(!ok());
    return std::get<Problem>(held);
  }

private:
  std::variant<T, Problem> held;
};

/// For what is done rather than answered; with a word on what could not be done as well as it should be.
struct Done {
  std::string note{};
};

} // namespace eup
