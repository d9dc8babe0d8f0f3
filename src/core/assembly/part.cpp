#include "core/assembly/part.h"
#include "core/measure/length_text.h"
#include <fmt/format.h>

namespace eup {
namespace {

/// Stock and saws know no hundredths of a long piece.
std::string sizeText(double mm, LengthUnit unit) {
  constexpr double long_ = 20; // mm
  return formatLength(mm, unit, mm < long_ ? 2 : 1);
}

} // namespace

const char* wordsOf(GrainWay grain) {
  switch (grain) {
  case GrainWay::none:
    return "";
  case GrainWay::length:
    return "length";
  case GrainWay::chord:
    return "chord";
  case GrainWay::span:
    return "span";
  case GrainWay::upright:
    return "upright";
  case GrainWay::slanting:
    return "slanting";
  }
  return "";
}

std::string wordsOf(const Stock& s, LengthUnit unit) {
  const auto len = [&](double mm) { return sizeText(mm, unit); };
  const auto across = [&](double width, double depth) { return fmt::format("{} × {}", len(width), len(depth)); };
  switch (s.form) {
  case Stock::Form::sheet:
    return len(s.thickness) + " sheet";
  case Stock::Form::strip:
    return across(s.width, s.thickness) + " strip" +
           (s.tapers() ? ", to " + across(s.widthThen, s.thicknessThen) : std::string());
  case Stock::Form::rod:
    return s.width > 0 ? fmt::format("{} tube, bore {}", len(s.thickness), len(s.width)) : len(s.thickness) + " rod";
  case Stock::Form::block:
    return across(s.width, s.thickness) + " block";
  case Stock::Form::covering:
    return "covering";
  }
  return "";
}

double cutLength(const Part& part, double trim) {
  const bool toLength = part.stock.form == Stock::Form::strip || part.stock.form == Stock::Form::rod;
  return part.length + (toLength ? trim : 0);
}

std::string sizeOf(const Part& part, LengthUnit unit, double trim) {
  const std::string long_ = sizeText(cutLength(part, trim), unit);
  const bool flat = part.stock.form == Stock::Form::sheet || part.stock.form == Stock::Form::covering;
  return flat ? fmt::format("{} × {}", long_, sizeText(part.breadth, unit)) : long_;
}

/// The first length of a bottom cap is shorter, so that scarfs above and below do not fall together.
static bool isBottom(const PieceId& id) {
  return (id.kind == PieceKind::cap || id.kind == PieceKind::capStrip) && !id.top;
}

std::optional<Scarfed> scarfed(const Part& part, const CutList& order) {
  const double length = cutLength(part, order.trim), slope = order.scarf * part.stock.thickness;
  const bool strip = part.stock.form == Stock::Form::strip || part.stock.form == Stock::Form::rod;
  if (!strip || length <= order.stock || order.stock <= 2 * slope) return std::nullopt;
  Scarfed out;
  out.scarf = slope;
  double reach = order.stock * (isBottom(part.id) ? 0.9 : 1); // the first length
  double begun = 0;                                           // where that length begins
  while (reach < length) {
    for (auto join = part.overJoins.rbegin(); join != part.overJoins.rend(); ++join) { // its scarf clear of joins
      const double clearFrom = *join - part.noScarf, clearTo = *join + part.noScarf;
      if (reach > clearFrom && reach - slope < clearTo && clearFrom > begun + slope) reach = clearFrom;
    }
    begun = reach - slope;
    out.at.push_back(reach - slope / 2);
    reach += order.stock - slope;
    ++out.lengths;
  }
  return out;
}

int countFor(const Part& part, Hand hand, const CutList& order) {
  if (!part.toldWith(hand)) return 0;
  return part.count * (order.batch + (part.what() == Part::What::ribs ? order.spares : 0));
}

} // namespace eup
