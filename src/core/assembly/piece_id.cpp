#include "core/assembly/piece_id.h"
#include <array>
#include <charconv>
#include <utility>

namespace eup {
namespace {

using enum PieceKind;

// {n} a number; {r} a rib, with the riblet behind it (4.2) or as the one that crosses the bay (4x); {s} the second
// number; {p} which piece; {f} the face. What stands in brackets is left out where its number is 0.
constexpr std::array written{std::pair{rib, "rib.{r}"},
                             std::pair{ribTail, "rib.{r}.tail{p}"},
                             std::pair{former, "former.{n}"},
                             std::pair{stickUpper, "stick.{n}.upper"},
                             std::pair{stickLower, "stick.{n}.lower"},
                             std::pair{stickUpright, "stick.{n}.upright.{p}"},
                             std::pair{stickDiagonal, "stick.{n}.diagonal.{p}"},
                             std::pair{stickNose, "stick.{n}.nose"},
                             std::pair{stickTail, "stick.{n}.tail"},
                             std::pair{stickGussets, "stick.{n}.gussets"},
                             std::pair{capStrip, "capStrip.{r}.{f}"},
                             std::pair{capStripAft, "capStrip.{r}.{f}.aft"},
                             std::pair{leadingEdge, "le"},
                             std::pair{trailingEdge, "te[.{p}]"},
                             std::pair{edgeStrip, "sheet.edge"},
                             std::pair{covering, "covering.{f}"},
                             std::pair{cap, "spar.{n}.{f}"},
                             std::pair{capOuter, "spar.{n}.{f}.outer"},
                             std::pair{doubler, "spar.{n}.{f}.doubler"},
                             std::pair{doublerOuter, "spar.{n}.{f}.doubler.outer"},
                             std::pair{sheetSpar, "spar.{n}.sheet"},
                             std::pair{webOfBay, "web.{n}.{s}"},
                             std::pair{web, "web.{n}"},
                             std::pair{rescueOfBay, "rescue.{n}.{s}"},
                             std::pair{rescue, "rescue.{n}"},
                             std::pair{diagonal, "diagonal.{n}.{s}"},
                             std::pair{foamBetween, "between.{n}"},
                             std::pair{tip, "tip[.{p}]"},
                             std::pair{noseSheet, "sheet.{f}[.{p}]"},
                             std::pair{baySheet, "bays.{n}.{f}[.{p}]"},
                             std::pair{tailSheet, "te.{f}[.{p}]"},
                             std::pair{surfaceNoseSheet, "surface.{n}.sheet.{f}[.{p}]"},
                             std::pair{surfaceBaySheet, "surface.{n}.bays.{s}.{f}[.{p}]"},
                             std::pair{surfaceTailSheet, "surface.{n}.te.{f}[.{p}]"},
                             std::pair{panelSheet, "sheet.panel"},
                             std::pair{cloth, "cloth.{f}"},
                             std::pair{brace, "brace.{n}"},
                             std::pair{joiner, "joiner"},
                             std::pair{joinerFacing, "joiner.facing"},
                             std::pair{strut, "strut.{n}"},
                             std::pair{frontPost, "post.front"},
                             std::pair{rearPost, "post.rear"},
                             std::pair{core, "core.{n}"},
                             std::pair{coreRibInner, "foamRib.inner"},
                             std::pair{coreRibOuter, "foamRib.outer"},
                             std::pair{coreRibBetween, "foamRib.{n}"},
                             std::pair{inCore, "inCore.{n}"},
                             std::pair{facing, "surface.{n}.facing"},
                             std::pair{wingFacing, "surface.{n}.wingFacing"},
                             std::pair{surfaceEndRibInner, "surface.{n}.endRib.inner"},
                             std::pair{surfaceEndRibOuter, "surface.{n}.endRib.outer"},
                             std::pair{infill, "surface.{n}.infill.{p}"},
                             std::pair{surfaceGussets, "surface.{n}.gussets"},
                             std::pair{hingeBlockWing, "surface.{n}.hinge.{p}.wing"},
                             std::pair{hingeBlockSurface, "surface.{n}.hinge.{p}.surface"},
                             std::pair{hornBlock, "surface.{n}.hornBlock"},
                             std::pair{servoPlate, "surface.{n}.servoPlate"},
                             std::pair{servoBearers, "surface.{n}.servoBearers"},
                             std::pair{joinWire, "surface.{n}.joinWire"},
                             std::pair{torqueRod, "surface.{n}.torqueRod"},
                             std::pair{spoilerPlate, "surface.{n}.plate"},
                             std::pair{surfaceCore, "surface.{n}.core"},
                             std::pair{surfaceSkin, "surface.{n}.skin"},
                             std::pair{hardPointBlock, "hardPoint.{n}.block"},
                             std::pair{hardPointDoubler, "hardPoint.{n}.doubler.{s}"}};

constexpr bool inOrder() {
  for (std::size_t i = 0; i < written.size(); ++i)
    if (static_cast<std::size_t>(written[i].first) != i) return false;
  return written.size() == static_cast<std::size_t>(hardPointDoubler) + 1;
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

std::string textOf(const PieceId& id) {
  std::string out;
  for (std::string_view row = written[static_cast<std::size_t>(id.kind)].second; !row.empty();) {
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
  for (const auto& [kind, row] : written) {
    PieceId id{kind};
    if (reads(row, text, id) && textOf(id) == text) return id;
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
  return id.kind == rib && id.second != 0;
}

} // namespace eup
