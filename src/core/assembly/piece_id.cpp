#include "core/assembly/piece_id.h"
#include <array>
#include <charconv>

namespace eup {
namespace {

using enum PieceKind;

// {n} a number; {r} a rib, with the riblet behind it (4.2) or as the one that crosses the bay (4x); {s} the second
// number; {p} which piece; {f} the face. What stands in brackets is left out where its number is 0.
struct Row {
  PieceKind kind;
  std::string_view text;
  PieceGroup group;
};
using G = PieceGroup;
constexpr std::array rows{Row{rib, "rib.{r}", G::ribs},
                          Row{ribTail, "rib.{r}.tail{p}", G::surface},
                          Row{former, "former.{n}", G::ribs},
                          Row{stickUpper, "stick.{n}.upper", G::ribs},
                          Row{stickLower, "stick.{n}.lower", G::ribs},
                          Row{stickUpright, "stick.{n}.upright.{p}", G::ribs},
                          Row{stickDiagonal, "stick.{n}.diagonal.{p}", G::ribs},
                          Row{stickNose, "stick.{n}.nose", G::ribs},
                          Row{stickTail, "stick.{n}.tail", G::ribs},
                          Row{stickGussets, "stick.{n}.gussets", G::ribs},
                          Row{capStrip, "capStrip.{r}.{f}", G::capStrips},
                          Row{capStripAft, "capStrip.{r}.{f}.aft", G::capStrips},
                          Row{leadingEdge, "le", G::leadingEdge},
                          Row{trailingEdge, "te[.{p}]", G::trailingEdge},
                          Row{edgeStrip, "sheet.edge", G::leadingEdge},
                          Row{covering, "covering.{f}", G::covering},
                          Row{cap, "spar.{n}.{f}", G::spars},
                          Row{capOuter, "spar.{n}.{f}.outer", G::spars},
                          Row{doubler, "spar.{n}.{f}.doubler", G::spars},
                          Row{doublerOuter, "spar.{n}.{f}.doubler.outer", G::spars},
                          Row{sheetSpar, "spar.{n}.sheet", G::spars},
                          Row{webOfBay, "web.{n}.{s}", G::webs},
                          Row{web, "web.{n}", G::webs},
                          Row{rescueOfBay, "rescue.{n}.{s}", G::webs},
                          Row{rescue, "rescue.{n}", G::webs},
                          Row{diagonal, "diagonal.{n}.{s}", G::diagonals},
                          Row{foamBetween, "between.{n}", G::core},
                          Row{tip, "tip[.{p}]", G::tip},
                          Row{noseSheet, "sheet.{f}[.{p}]", G::sheet},
                          Row{baySheet, "bays.{n}.{f}[.{p}]", G::sheet},
                          Row{tailSheet, "te.{f}[.{p}]", G::sheet},
                          Row{surfaceNoseSheet, "surface.{n}.sheet.{f}[.{p}]", G::sheet},
                          Row{surfaceBaySheet, "surface.{n}.bays.{s}.{f}[.{p}]", G::sheet},
                          Row{surfaceTailSheet, "surface.{n}.te.{f}[.{p}]", G::sheet},
                          Row{panelSheet, "sheet.panel", G::sheet},
                          Row{cloth, "cloth.{f}", G::sheet},
                          Row{brace, "brace.{n}", G::brace},
                          Row{joiner, "joiner", G::joiner},
                          Row{joinerFacing, "joiner.facing", G::joiner},
                          Row{strut, "strut.{n}", G::strut},
                          Row{frontPost, "post.front", G::post},
                          Row{rearPost, "post.rear", G::post},
                          Row{core, "core.{n}", G::core},
                          Row{coreRibInner, "foamRib.inner", G::ribs},
                          Row{coreRibOuter, "foamRib.outer", G::ribs},
                          Row{coreRibBetween, "foamRib.{n}", G::ribs},
                          Row{inCore, "inCore.{n}", G::inCore},
                          Row{facing, "surface.{n}.facing", G::surface},
                          Row{wingFacing, "surface.{n}.wingFacing", G::surface},
                          Row{surfaceEndRibInner, "surface.{n}.endRib.inner", G::surface},
                          Row{surfaceEndRibOuter, "surface.{n}.endRib.outer", G::surface},
                          Row{infill, "surface.{n}.infill.{p}", G::surface},
                          Row{surfaceGussets, "surface.{n}.gussets", G::surface},
                          Row{hingeBlockWing, "surface.{n}.hinge.{p}.wing", G::surface},
                          Row{hingeBlockSurface, "surface.{n}.hinge.{p}.surface", G::surface},
                          Row{hornBlock, "surface.{n}.hornBlock", G::surface},
                          Row{servoPlate, "surface.{n}.servoPlate", G::surface},
                          Row{servoBearers, "surface.{n}.servoBearers", G::surface},
                          Row{joinWire, "surface.{n}.joinWire", G::surface},
                          Row{torqueRod, "surface.{n}.torqueRod", G::surface},
                          Row{spoilerPlate, "surface.{n}.plate", G::surface},
                          Row{surfaceCore, "surface.{n}.core", G::surface},
                          Row{surfaceSkin, "surface.{n}.skin", G::surface},
                          Row{hardPointBlock, "hardPoint.{n}.block", G::surface},
                          Row{hardPointDoubler, "hardPoint.{n}.doubler.{s}", G::surface}};

constexpr bool inOrder() {
  for (std::size_t i = 0; i < rows.size(); ++i)
    if (static_cast<std::size_t>(rows[i].kind) != i) return false;
  return rows.size() == static_cast<std::size_t>(hardPointDoubler) + 1;
}
static_assert(inOrder(), "a row for each kind, in the order of the kinds");

/// Takes a number off the front, of at most nine digits.
bool takeNumber(std::string_view& text, int& number) {
  const std::size_t digits = std::min(text.find_first_not_of("0123456789"), text.size());
  if (digits == 0 || digits > 9) return false;
  std::from_chars(text.data(), text.data() + digits, number);
  text.remove_prefix(digits);
  return true;
}

bool take(std::string_view& text, std::string_view word) {
  if (!text.starts_with(word)) return false;
  text.remove_prefix(word.size());
  return true;
}

bool takeRib(std::string_view& text, PieceId& id) {
  if (!takeNumber(text, id.number)) return false;
  std::string_view then = text;
  int behind = 0;
  if (take(text, "x"))
    id.second = crossingRib;
  else if (take(then, ".") && takeNumber(then, behind))
    id.second = behind, text = then;
  return true;
}

/// The whole of a text as that row writes it.
bool reads(std::string_view row, std::string_view text, PieceId& id) {
  while (!row.empty()) {
    if (take(row, "[")) {
      const std::size_t ends = row.find(']');
      PieceId with = id;
      if (!text.empty()) return reads(row.substr(0, ends), text, with) ? (id = with, true) : false;
      row.remove_prefix(ends + 1);
    } else if (take(row, "{r}")) {
      if (!takeRib(text, id)) return false;
    } else if (take(row, "{n}")) {
      if (!takeNumber(text, id.number)) return false;
    } else if (take(row, "{s}")) {
      if (!takeNumber(text, id.second)) return false;
    } else if (take(row, "{p}")) {
      if (!takeNumber(text, id.piece)) return false;
    } else if (take(row, "{f}")) {
      id.top = take(text, "top");
      if (!id.top && !take(text, "bottom")) return false;
    } else {
      if (!take(text, row.substr(0, 1))) return false;
      row.remove_prefix(1);
    }
  }
  return text.empty();
}

} // namespace

PieceGroup groupOf(PieceKind kind) {
  return rows[static_cast<std::size_t>(kind)].group;
}

std::string textOf(const PieceId& id) {
  std::string out;
  for (std::string_view row = rows[static_cast<std::size_t>(id.kind)].text; !row.empty();) {
    if (take(row, "[")) {
      if (id.piece == 0) break; // the only one that is left out, at the end
    } else if (take(row, "{r}")) {
      out += std::to_string(id.number);
      if (id.second != 0) out += id.second == crossingRib ? "x" : "." + std::to_string(id.second);
    } else if (take(row, "{n}")) {
      out += std::to_string(id.number);
    } else if (take(row, "{s}")) {
      out += std::to_string(id.second);
    } else if (take(row, "{p}")) {
      out += std::to_string(id.piece);
    } else if (take(row, "{f}")) {
      out += id.top ? "top" : "bottom";
    } else {
      if (row.front() != ']') out += row.front();
      row.remove_prefix(1);
    }
  }
  return out;
}

std::optional<PieceId> pieceIdFrom(std::string_view text) {
  for (const Row& row : rows) {
    PieceId id{row.kind};
    if (reads(row.text, text, id) && textOf(id) == text) return id;
  }
  return std::nullopt;
}

int* ribOf(PieceId& id) {
  switch (id.kind) {
  case rib:
  case ribTail:
  case former:
  case stickUpper:
  case stickLower:
  case stickUpright:
  case stickDiagonal:
  case stickNose:
  case stickTail:
  case stickGussets:
  case capStrip:
  case capStripAft:
    return &id.number;
  case hardPointDoubler:
    return &id.second;
  default:
    return nullptr;
  }
}

int* bayOf(PieceId& id) {
  switch (id.kind) {
  case webOfBay:
  case rescueOfBay:
    return &id.second;
  case diagonal:
  case foamBetween:
    return &id.number;
  default:
    return nullptr;
  }
}

int thingOf(const PieceId& id) {
  return id.kind == ribTail ? id.piece : id.number;
}

bool besideRib(const PieceId& id) {
  PieceId of = id;
  return ribOf(of) == &of.number && of.second != 0;
}

} // namespace eup
