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
  requires(!std::is_same_v<F, FunctionRef> && std::is_invocable_r_v<R, const F&, A...>) FunctionRef(const F& function)
      : of(std::addressof(function)),
        call([](const void* f, A... a) -> R { return (*static_cast<const F*>(f))(std::forward<A>(a)...); }) {}
  R operator()(A... a) const { return call(of, std::forward<A>(a)...); }

private:
  const void* of;
  R (*call)(const void*, A...);
};

} // namespace eup
