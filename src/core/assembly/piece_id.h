// Which piece of a panel a piece is: of what kind, of which rib, bay, spar or other thing of the panel's lists. It
// stays the same while the piece is there, whatever becomes of the pieces beside it; names are for people.
#pragma once
#include <optional>
#include <string>
#include <string_view>
#include <tuple>

namespace eup {

/// What a piece is, as far as it tells it from the other pieces of its panel.
enum class PieceKind {
  rib, // and riblets
  ribTail,
  former,
  stickUpper,
  stickLower,
  stickUpright,
  stickDiagonal,
  stickNose,
  stickTail,
  stickGussets,
  capStrip,
  capStripAft,
  leadingEdge,
  trailingEdge,
  edgeStrip,
  covering,
  cap,
  capOuter,
  doubler,
  doublerOuter,
  sheetSpar,
  webOfBay,
  web,
  rescueOfBay,
  rescue,
  diagonal,
  foamBetween,
  tip,
  noseSheet,
  baySheet,
  tailSheet,
  surfaceNoseSheet,
  surfaceBaySheet,
  surfaceTailSheet,
  panelSheet,
  cloth,
  brace,
  joiner,
  joinerFacing,
  strut,
  frontPost,
  rearPost,
  core,
  coreRibInner,
  coreRibOuter,
  coreRibBetween,
  inCore,
  facing,
  wingFacing,
  surfaceEndRibInner,
  surfaceEndRibOuter,
  infill,
  surfaceGussets,
  hingeBlockWing,
  hingeBlockSurface,
  hornBlock,
  servoPlate,
  servoBearers,
  joinWire,
  torqueRod,
  spoilerPlate,
  surfaceCore,
  surfaceSkin,
  hardPointBlock,
  hardPointDoubler
};

/// What pieces are counted and weighed with.
enum class PieceGroup {
  ribs,
  spars,
  webs,
  leadingEdge,
  trailingEdge,
  sheet,
  capStrips,
  covering,
  diagonals,
  tip,
  brace,
  joiner,
  strut,
  post,
  core,
  inCore,
  surface
};
PieceGroup groupOf(PieceKind kind);

/// What stands for a riblet's number where a rib crosses a bay.
inline constexpr int crossingRib = -1;

/// A piece of a panel. What its numbers are of is told by its kind; those that its kind has no use for are 0.
struct PieceId {
  PieceKind kind = PieceKind::rib;
  /// A rib's, a bay's, or the lasting number of a spar, brace, strut, surface, hard point, of a run of sheeted bays or
  /// of what lies in a core.
  int number = 0;
  /// Of a riblet: which one behind rib `number`, counted from 1; of a rib that crosses that bay: `crossingRib`. Of a
  /// web: its bay; of a diagonal: which one in its bay; of a doubler on a rib: the rib; of a surface's sheet: the run
  /// of bays.
  int second = 0;
  /// Of a sheet or a strip that is made of several pieces: which one, from the inside outwards, counted from 1; 0 for
  /// one that is whole. Of what a thing has several of: which.
  int piece = 0;
  bool top = false; ///< on the upper face, or the upper one of two
  bool operator==(const PieceId&) const = default;
  bool operator<(const PieceId& o) const {
    return std::tie(kind, number, second, piece, top) < std::tie(o.kind, o.number, o.second, o.piece, o.top);
  }
};

/// What a file calls a piece within its panel: "rib.4.2", "spar.1.top".
std::string textOf(const PieceId& id);
/// And back; nothing for what is no piece's name.
std::optional<PieceId> pieceIdFrom(std::string_view text);

/// The rib that a piece stands at, or is a part of: a number of the wing's count; nothing for what stands at none.
int* ribOf(PieceId& id);
/// The bay that a piece fills, counted from its panel's root from 1; nothing for what fills none.
int* bayOf(PieceId& id);
/// The lasting number of the surface, spar, hard point … that a piece belongs to.
int thingOf(const PieceId& id);
/// Whether a piece is of a riblet, or of a rib that crosses a bay: it stands between ribs `number` and the next one.
bool besideRib(const PieceId& id);

} // namespace eup
