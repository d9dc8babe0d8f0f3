// What tests of spars and their bays share.
#pragma once
#include "core/strength/bay_checks.h"
#include "support.h"

namespace eup::test {

/// The check of that kind in a bay; null without one.
inline const BayCheck* checkOf(const SparBay& bay, BayCheck::What what) {
  for (const BayCheck& c : bay.checks)
    if (c.what == what) return &c;
  return nullptr;
}

/// A new wing whose spar has such webs.
inline Design withWebs(Webs webs) {
  Design d;
  d.inner().spars[0].webs = webs;
  return d;
}

} // namespace eup::test
