// A piece of a panel, once: what it is of, how large it is cut, what it weighs and where. Masses, the cut list, steps
// and prints read it; each trade tells its own.
#pragma once
#include "core/assembly/piece_id.h"
#include "core/design/design.h"
#include "core/design/record_keys.h"
#include "core/geometry/point.h"
#include "core/measure/hand.h"
#include "core/measure/length_text.h"
#include <tuple>
#include <vector>

namespace eup {

/// What a piece is made from, as it is bought, mm.
struct Stock {
  enum class Form { sheet, strip, rod, block, covering } form = Form::sheet;
  double thickness = 0;                    ///< of a sheet; depth of a strip or a block; a rod's diameter
  double width = 0;                        ///< of a strip or a block; a tube's bore
  double thicknessThen = 0, widthThen = 0; ///< a strip that tapers: at its outer end; else as at the inner one
  bool tapers() const { return thicknessThen != thickness || widthThen != width; }
  static Stock sheet(double thickness) { return {Form::sheet, thickness, 0, thickness, 0}; }
  static Stock strip(double width, double depth) { return {Form::strip, depth, width, depth, width}; }
  static Stock strip(double width, double depth, double widthThen, double depthThen) {
    return {Form::strip, depth, width, depthThen, widthThen};
  }
  static Stock rod(double diameter, double bore) { return {Form::rod, diameter, bore, diameter, bore}; }
  static Stock block(double width, double height) { return {Form::block, height, width, height, width}; }
  static Stock covering() { return {Form::covering, 0, 0, 0, 0}; }
  bool operator==(const Stock&) const = default;
  bool operator<(const Stock& o) const {
    return std::tie(form, thickness, width, thicknessThen, widthThen) <
           std::tie(o.form, o.thickness, o.width, o.thicknessThen, o.widthThen);
  }
};

/// "6 × 3 strip", "2 sheet", "8 tube, bore 6", "covering": numbers in the document's unit, which the table's head
/// names.
std::string wordsOf(const Stock& stock, LengthUnit unit);

/// Which way a piece's grain runs.
enum class GrainWay { none, length, chord, span, upright, slanting };
const char* wordsOf(GrainWay grain); ///< "length", "chord", "span", "upright", "slanting"

/// Which print shows a piece at full size; what is only cut to length stands on the cut list.
enum class DrawnOn { cutList, ribs, braces, skins, foam, surfaces };

struct Part {
  using What = PieceGroup;
  PieceId id;
  std::string name;     ///< on board, print and list: "R4", "main spar, top cap"
  std::string material; ///< key of the table of materials; of coverings for a covering
  double grams = 0;     ///< of one hand: of all its `count`, half of them where both hands share it
  /// Where along the panel's span it weighs: g/mm, straight between. Empty for what stands in one place.
  struct Run {
    double from = 0, to = 0, atFrom = 0, atTo = 0;
  };
  std::vector<Run> runs{};
  double at = 0;            ///< of what stands in one place: mm of the panel's span
  std::optional<int> rib{}; ///< its number, of a rib and its strips
  int bay = 0;              ///< counted from the panel's root, of what stands in one; else 0
  int count = 1;            ///< pieces alike, in one hand
  bool shared = false;      ///< one for both hands together: told with the right one
  /// Of a length of a piece that runs on from the panel inside it: which piece of which panel, counted from 0, is told
  /// whole, cut and put in for it. Its own sizes and mass are those of its length alone.
  struct Told {
    int panel = 0;
    PieceId as;
    bool operator==(const Told&) const = default;
  };
  std::optional<Told> toldAs{};
  /// Of a piece that runs over joins, told whole: where they lie, mm along it from its end; of one over both hands from
  /// its left end.
  std::vector<double> overJoins{};
  double pastRoot = 0, pastTip = 0; ///< mm of its length that its ends take to meet joins there; may be less than 0
  bool goesOn = false;              ///< beyond its panel's outer end, in one piece
  double noScarf = 0;               ///< mm on either side of the joins that it runs over: there no scarf may lie
  Stock stock{};
  double length = 0, breadth = 0; ///< mm, of one whole piece as it is cut: along its grain, or longer way; and across
  double area = 0;                ///< mm², of one flat piece
  GrainWay grain = GrainWay::none;
  Polyline outline{}; ///< of a web its corners, x outwards along the spar, y up; of a former in chord axes
  DrawnOn drawn = DrawnOn::cutList;
  Point3 centre{0, 0, 0};            ///< of mass, in the panel's axes (aft, outwards, up)
  Point3 from{0, 0, 0}, to{0, 0, 0}; ///< of what runs straight: the ends of its middle line; else the same point

  /// Whether it is told, cut, put in and labelled with that hand, in this panel: not what comes with the right hand for
  /// both, nor a length of what is told with another panel.
  bool toldWith(Hand hand) const { return !toldAs && !(shared && hand == Hand::left); }
  What what() const { return groupOf(id.kind); }
  std::string key() const { return textOf(id); } ///< what files and tables call it, within its panel
};

/// What records call a piece: "wings.0.panels.1.rib.4".
inline std::string pieceKey(PanelNumber panel, const PieceId& id) {
  return pieceKey(panel, textOf(id));
}

/// As a size to cut to, without the unit: how long, and how wide where that says something. `trim` is left on what is
/// cut to length.
std::string sizeOf(const Part& part, LengthUnit unit, double trim = 0);
/// With what is left on to be trimmed when it is fitted: strips and rods, which are cut to length.
double cutLength(const Part& part, double trim);
/// A strip that is longer than its stock, made of several lengths.
struct Scarfed {
  int lengths = 1;        ///< of stock that it takes
  double scarf = 0;       ///< mm, how long each scarf is: the slope × the depth
  std::vector<double> at; ///< mm from the strip's inner end to the middle of each scarf
};
/// Nothing for what its stock is long enough for, and for what is not a strip or a rod. The first length is whole; of a
/// bottom cap it is shorter by a tenth, so that scarfs above and below do not fall together.
std::optional<Scarfed> scarfed(const Part& part, const CutList& order);

/// How many of it are cut for one hand; what both hands share comes with the right one, a length of what runs on from
/// the panel inside it with the piece there. Ribs have spares.
int countFor(const Part& part, Hand hand, const CutList& order);

} // namespace eup
