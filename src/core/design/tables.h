// What parts are made of, covered and glued with, and the load factors by kind of flying: each value and where it is
// from. Shipped tables, and the builder's own rows beside them.
#pragma once
#include "core/measure/limits.h"
#include "core/measure/result.h"
#include <array>
#include <span>
#include <string>
#include <string_view>
#include <vector>

namespace eup {

/// Wood, ply, tube, foam. "Across" is across the grain of wood, across the fibres of carbon.
struct Material {
  std::string key, label;
  double modulus = 3400;        ///< MPa, along the grain, in bending
  double across = 102;          ///< MPa, E across it
  double tension = 21.6;        ///< MPa along the grain; modulus of rupture where no tension test is at hand
  double compression = 14.9;    ///< MPa along the grain
  double compressionAcross = 1; ///< MPa
  double shear = 155;           ///< MPa, modulus of rigidity
  double shearStrength = 2.1;   ///< MPa, along the grain
  double density = 160;         ///< kg/m³
  std::string source = "my own";
  bool operator==(const Material&) const = default;
};

/// What a covering adds in shear, and its mass.
struct CoveringStuff {
  std::string key, label;
  double shear = 10;      ///< N/mm of width: G t
  double areaWeight = 40; ///< g/m²
  std::string source = "my own";
  bool operator==(const CoveringStuff&) const = default;
};

struct Glue {
  std::string key, label;
  double shearStrength = 8; ///< MPa
  double peel = 2;          ///< N/mm of width
  double softens = 60;      ///< °C, where it begins to give
  double hours = 2;         ///< until a joint of it can be handled on, at 20 °C
  double coldHours = 0;     ///< the same at 10 °C; 0 where the maker's sheet is silent
  double pot = 10;          ///< minutes that a mixed batch (or a spread film) stays open at 20 °C
  std::string source = "my own";
  bool operator==(const Glue&) const = default;
};

/// What a kind of flying asks of a wing, in multiples of the model's weight.
struct LoadFactors {
  std::string key, label;
  double pull = 6; ///< pulling up
  double push = 2; ///< the other way; 0 where that is not flown
  std::string source = "my own";
  bool operator==(const LoadFactors&) const = default;
};

/// A class of servo as it is sold: about its size, its mass and its torque.
struct Servo {
  std::string key, label;
  double length = 23, thickness = 12, height = 24; ///< mm; it lies on its side in a wing
  double torque = 150;                             ///< N·mm
  double grams = 9;
  std::string source = "my own";
  bool operator==(const Servo&) const = default;
};

/// A number of a row: its key in files, its words on screen, and what it can be.
template <class Row> struct Column {
  const char* key;
  const char* label;
  double Row::*value;
  Limits limits;
};

inline constexpr std::array materialColumns{
    Column<Material>{"modulusMPa", "E, MPa", &Material::modulus, {0.1, 1000000}},
    Column<Material>{"acrossMPa", "E across, MPa", &Material::across, {0.1, 1000000}},
    Column<Material>{"tensionMPa", "pulled, MPa", &Material::tension, {0.001, 10000}},
    Column<Material>{"compressionMPa", "pressed, MPa", &Material::compression, {0.001, 10000}},
    Column<Material>{"compressionAcrossMPa", "pressed across, MPa", &Material::compressionAcross, {0.001, 10000}},
    Column<Material>{"shearMPa", "G, MPa", &Material::shear, {0.1, 500000}},
    Column<Material>{"shearStrengthMPa", "sheared, MPa", &Material::shearStrength, {0.001, 10000}},
    Column<Material>{"densityKgM3", "kg/m³", &Material::density, {1, 25000}}};
inline constexpr std::array coveringColumns{
    Column<CoveringStuff>{"shearNmm", "G t, N/mm", &CoveringStuff::shear, {0, 10000}},
    Column<CoveringStuff>{"areaWeightGsm", "g/m²", &CoveringStuff::areaWeight, {0, 5000}}};
inline constexpr std::array glueColumns{
    Column<Glue>{"shearStrengthMPa", "sheared, MPa", &Glue::shearStrength, {0.001, 1000}},
    Column<Glue>{"peelNmm", "peeled, N/mm", &Glue::peel, {0, 1000}},
    Column<Glue>{"softensC", "softens at, °C", &Glue::softens, {20, 500}},
    Column<Glue>{"cureHours", "cures, hours at 20 °C", &Glue::hours, {0, 1000}},
    Column<Glue>{"cureHoursCold", "at 10 °C, 0 not known", &Glue::coldHours, {0, 8000}},
    Column<Glue>{"openMinutes", "open, minutes", &Glue::pot, {0, 10000}}};

inline constexpr Limits pullLimits{1, 50}, pushLimits{0, 50};
inline constexpr std::array loadFactorColumns{
    Column<LoadFactors>{"pull", "pulling up, × weight", &LoadFactors::pull, pullLimits},
    Column<LoadFactors>{"push", "pushing over, × weight", &LoadFactors::push, pushLimits}};

inline constexpr std::array servoColumns{Column<Servo>{"lengthMm", "long, mm", &Servo::length, {2, 200}},
                                         Column<Servo>{"thicknessMm", "thick, mm", &Servo::thickness, {1, 100}},
                                         Column<Servo>{"heightMm", "high, mm", &Servo::height, {2, 200}},
                                         Column<Servo>{"torqueNmm", "torque, N·mm", &Servo::torque, {0.1, 100000}},
                                         Column<Servo>{"grams", "g", &Servo::grams, {0.1, 2000}}};

inline std::span<const Column<Material>> columnsOf(const Material*) {
  return materialColumns;
}
inline std::span<const Column<CoveringStuff>> columnsOf(const CoveringStuff*) {
  return coveringColumns;
}
inline std::span<const Column<Glue>> columnsOf(const Glue*) {
  return glueColumns;
}
inline std::span<const Column<LoadFactors>> columnsOf(const LoadFactors*) {
  return loadFactorColumns;
}
inline std::span<const Column<Servo>> columnsOf(const Servo*) {
  return servoColumns;
}

/// Which table a decision chooses from.
enum class Shelf { material, covering, glue, loadFactors, servo };
inline constexpr std::array shelves{Shelf::material, Shelf::covering, Shelf::glue, Shelf::loadFactors, Shelf::servo};
/// "materials", "coverings", "glues", "loadFactors", "servos".
const char* keyOf(Shelf shelf);
/// The same in words: "load factors".
const char* wordsOf(Shelf shelf);

/// Stands among the names on the shelf of load factors, and in no table: they are typed in the design.
inline constexpr std::string_view typedFactors = "own";

/// A set of tables. The builder's own stand in the design; what they are looked up by finds the shipped ones too.
struct Tables {
  std::vector<Material> materials;
  std::vector<CoveringStuff> coverings;
  std::vector<Glue> glues;
  std::vector<LoadFactors> loadFactors;
  std::vector<Servo> servos;
  bool operator==(const Tables&) const = default;

  /// Nothing when there is none of that key, among these and the shipped.
  const Material* find(std::string_view key) const;
  /// That one, for reckoning with it. No decision can name one that is not there; then the first of the shipped.
  const Material& named(std::string_view key) const;
  const CoveringStuff& covering(std::string_view key) const;
  const Glue& glue(std::string_view key) const;
  const LoadFactors& factors(std::string_view key) const;
  const Servo& servo(std::string_view key) const;
  /// The shipped, then these.
  std::vector<const Material*> all() const;

  struct Name {
    std::string_view key, label;
  };
  /// Of all rows of a table, the shipped first. That of load factors begins with `typedFactors`.
  std::vector<Name> namesOn(Shelf shelf) const;
  bool has(Shelf shelf, std::string_view key) const;
};

inline constexpr std::size_t mostOwnRows = 60; ///< in each table
/// Keys of the builder's own rows begin so: none can stand in a shipped row's place.
inline constexpr std::string_view ownKey = "own-";
/// A key that no row of the table has.
template <class Row> std::string freshKey(const std::vector<Row>& rows) {
  for (int n = 1;; ++n) {
    std::string key = std::string(ownKey) + std::to_string(n);
    bool taken = false;
    for (const Row& r : rows) taken = taken || r.key == key;
    if (!taken) return key;
  }
}

/// Hands `use` the table of that shelf as a member of `Tables`: what it returns is of one type for all.
template <class Use> auto onShelf(Shelf shelf, Use use) {
  switch (shelf) {
  case Shelf::covering:
    return use(&Tables::coverings);
  case Shelf::glue:
    return use(&Tables::glues);
  case Shelf::loadFactors:
    return use(&Tables::loadFactors);
  case Shelf::servo:
    return use(&Tables::servos);
  case Shelf::material:
    break;
  }
  return use(&Tables::materials);
}

/// Reads a file of tables: the shipped ones, or rows that a builder keeps. Refuses, by row, what is missing, of the
/// wrong kind or out of its limits.
Result<Tables> readTables(std::string_view json);
/// The same tables as such a file.
std::string tablesToText(const Tables& tables);
const Tables& shippedTables();

} // namespace eup
