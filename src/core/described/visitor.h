// What the description of a design is told to: one call a decision. Saving, loading, typing, dragging and checking are
// visitors, so that a decision that is described once is known to all of them.
#pragma once
#include "core/design/design.h"
#include "core/design/subject.h"
#include "core/measure/function_ref.h"
#include <span>

namespace eup {

/// A list of decisions, whatever it is of.
class ListRef {
public:
  template <class L>
  explicit ListRef(L& items)
      : list(&items), count([](const void* l) { return static_cast<const L*>(l)->size(); }),
        grow([](void* l, std::size_t n) { static_cast<L*>(l)->resize(n); }) {}
  std::size_t size() const { return count(list); }
  void resize(std::size_t n) { grow(list, n); }

private:
  void* list;
  std::size_t (*count)(const void*);
  void (*grow)(void*, std::size_t);
};

/// Every decision comes with its key in the file, its name for people, its value, its limits, and whether it has a say
/// in the design as it stands (`applies`). A visitor that is shown a const design changes none of the values.
class Visitor {
public:
  using Inside = FunctionRef<void()>;
  using Each = FunctionRef<void(std::size_t)>;
  virtual ~Visitor() = default;

  /// Decisions under a key of their own (or none, ""): what is decided in them, which one of several.
  virtual void group(const char* key, Topic topic, int number, Inside inside) = 0;
  void group(const char* key, Topic topic, Inside inside) { group(key, topic, 0, inside); }
  /// What stands in the file and is not typed as a field.
  virtual void hidden(const char* key, Inside inside) = 0;
  /// `each` visits the item of that index, which must be there. One that is `needed` is never empty.
  virtual void items(const char* key, Topic topic, ListRef list, int most, bool needed, Each each) = 0;
  template <class L, class F> void list(const char* key, Topic topic, L& all, int most, F each) {
    items(key, topic, ListRef(all), most, false, [&](std::size_t i) { each(all[i], i); });
  }
  /// A list that is never empty, and gives its decisions no heading of its own.
  template <class L, class F> void parts(const char* key, L& all, int most, F each) {
    items(key, Topic::none, ListRef(all), most, true, [&](std::size_t i) { each(all[i], i); });
  }
  /// The decision before can be put in and taken out: what is put in, what is typed for either, as it stands.
  virtual void extra(const char*, const char*, const char*, bool) {}
  /// The rows that `listed` may name.
  virtual void know(const Tables&) {}

  virtual void length(const char* key, const char* label, double& v, Limits l, bool applies = true) = 0;
  virtual void angle(const char* key, const char* label, double& v, Limits l, bool applies = true) = 0;
  virtual void fraction(const char* key, const char* label, double& v, Limits l, bool applies = true) = 0;
  virtual void number(const char* key, const char* label, double& v, Limits l, bool applies = true) = 0;
  virtual void mass(const char* key, const char* label, double& v, Limits l, bool applies = true) = 0;
  virtual void count(const char* key, const char* label, int& v, Limits l, bool applies = true) = 0;
  virtual void flag(const char* key, const char* label, bool& v, bool applies = true) = 0;
  virtual void text(const char* key, const char* label, std::string& v, bool applies = true) = 0;
  virtual void freeText(const char* key, std::string& v) = 0;
  /// A number that a thing keeps for good, 0 to `mostNumber`: never typed (see lasting.h).
  virtual void lasting(const char* key, int& v) = 0;
  /// A day as 2026-12-01; empty where it is not decided.
  virtual void day(const char* key, const char* label, std::string& v) = 0;
  virtual void digits(const char* key, const char* label, std::string& v, bool applies) = 0;
  virtual void listed(const char* key, const char* label, std::string& v, Shelf shelf, bool applies = true) = 0;
  virtual void stations(const char* key, const char* label, std::vector<double>& v, bool applies) = 0;
  virtual void numbers(const char* key, const char* label, std::vector<int>& v, bool applies = true) = 0;
  virtual void shares(const char* key, const char* label, std::vector<double>& v, bool applies) = 0;
  // What a number is besides a size or a count: such a one is another when its panel is cut, put together or stretched,
  // or when what it counts is taken out. Who does not ask for that is told of it as of any other.
  /// What is told within stands on that panel, wherever it is decided. The panel need not be there.
  void ofPanel(PanelId panel, Inside inside) {
    const PanelId before = standsOn;
    standsOn = panel;
    inside();
    standsOn = before;
  }
  /// mm of the panel's span from its inner end.
  virtual void along(const char* key, const char* label, double& v, Limits l, bool applies = true) {
    length(key, label, v, l, applies);
  }
  virtual void alongAll(const char* key, const char* label, std::vector<double>& v, bool applies) {
    stations(key, label, v, applies);
  }
  /// One of the panel's spars, from 1.
  virtual void spar(const char* key, const char* label, int& v, bool applies) {
    count(key, label, v, Limits{1, mostSpars}, applies);
  }
  /// One of that wing's panels, from 1; the wing from 0.
  virtual void panel(int /*wing*/, const char* key, const char* label, int& v, bool applies) {
    count(key, label, v, Limits{1, mostPanels}, applies);
  }
  /// One of the wings, from 1.
  virtual void wing(const char* key, const char* label, int& v, bool applies) {
    count(key, label, v, Limits{1, mostWings}, applies);
  }
  virtual void points(const char* key, Polyline& v, std::size_t most) = 0;
  virtual void outline(const char* key, const char* label, Polyline& v, bool applies) = 0;
  virtual void bytes(const char* key, EmbeddedCopy& v) = 0;
  virtual void dihedral(const char* key, Dihedral& v, double span, bool applies) = 0;
  /// Which of the choices, counted from 0.
  virtual void chosen(const char* key, const char* label, std::size_t& v, std::span<const Choice> names,
                      bool applies) = 0;
  template <class E>
  void choice(const char* key, const char* label, E& v, std::span<const Choice> names, bool applies = true) {
    const auto was = static_cast<std::size_t>(v);
    std::size_t now = was;
    chosen(key, label, now, names, applies);
    if (now != was) v = static_cast<E>(now);
  }

protected:
  PanelId standsOn{-1, -1}; ///< the panel that what is told stands on; none of a wing or the model as a whole
};

/// Shows every decision to a visitor, which may change it.
void describe(Design& design, Visitor& visitor);
/// The same to a visitor that changes nothing.
void describe(const Design& design, Visitor& visitor);

} // namespace eup
