// A function that is called while it is there, without copying what it holds.
#pragma once
#include <memory>
#include <type_traits>
#include <utility>

namespace eup {

template <class Signature> class FunctionRef;

/// Only for parameters: what it refers to must outlive the call.
template <class R, class... A> class FunctionRef<R(A...)> {
public:
  template <class F>
  requires(!std::is_same_v<std::remove_cvref_t<F>, FunctionRef> && std::is_invocable_r_v<R, F&, A...>)
      FunctionRef(F&& function)
      : of(const_cast<void*>(static_cast<const void*>(std::addressof(function)))), call([](void* f, A... a) -> R {
          return (*static_cast<std::remove_reference_t<F>*>(f))(std::forward<A>(a)...);
        }) {}
  R operator()(A... a) const { return call(of, std::forward<A>(a)...); }

private:
  void* of;
  R (*call)(void*, A...);
};

} // namespace eup
