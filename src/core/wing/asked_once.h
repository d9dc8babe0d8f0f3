// What follows from a finished wing and is not always wanted: worked out when it is first asked for.
#pragma once
#include <map>
#include <memory>
#include <mutex>
#include <typeindex>

namespace eup {

/// Keeps one thing of every type that was asked for, beside what it follows from. That is never changed after it is
/// finished, so that nothing here goes stale. May be asked from several threads; what is made may ask for others.
class AskedOnce {
public:
  template <class T, class Make> const T& get(Make make) const {
    Place& place = placeOf(typeid(T));
    std::call_once(place.once, [&] { place.kept = std::make_shared<const T>(make()); });
    return *static_cast<const T*>(place.kept.get());
  }

private:
  struct Place {
    std::once_flag once;
    std::shared_ptr<const void> kept;
  };
  Place& placeOf(std::type_index type) const {
    const std::lock_guard lock(reading);
    return places[type]; // a map's items stay where they are
  }
  mutable std::mutex reading;
  mutable std::map<std::type_index, Place> places;
};

} // namespace eup
