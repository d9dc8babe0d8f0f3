// How everything that runs along a panel is sawn where it meets a join.
#pragma once
#include "core/assembly/piece_id.h"
#include "core/joins/end_cut.h"
#include "core/parts/frame.h"
#include <string>
#include <vector>

namespace eup {

struct SawnStrip {
  PieceId piece{};       ///< of a strip, of a cap its inner piece; of sheet none in particular
  std::string key;       ///< "le", "te", "spar.1.top", "sheetTop": its figures' names
  std::string name;      ///< "LE", "Top of main spar,"
  Point3 along{0, 1, 0}; ///< over the panel's span, in its axes (aft, outwards, up)
  EndCut cut;
  bool sheet = false; ///< lies on the surface: it has a mitre on its face and a knife's tilt
};

/// At the panel's root (`root`) or tip, where its end leans by `lean` to the join, rad. Of what is fitted and reaches
/// there: edges, caps, sheet spars, and every skin half way along its width.
std::vector<SawnStrip> sawnEnds(const PanelBrief& design, const PanelLoft& loft, const std::vector<SparLine>& spars,
                                bool root, double lean);

} // namespace eup
