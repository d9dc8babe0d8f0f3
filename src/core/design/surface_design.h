// What is decided of the surfaces that a panel carries on hinges: where each is cut, how it turns, what moves it.
#pragma once
#include "core/measure/choice.h"
#include <string>
#include <vector>

namespace eup {

inline constexpr int mostSurfaces = 6; ///< a panel

enum class SurfaceKind { aileron, flap, elevon, elevator, rudder, spoiler, wholePanel };
inline constexpr std::array surfaceKindChoices{Choice{"aileron", "aileron"},
                                               Choice{"flap", "flap"},
                                               Choice{"elevon", "elevon"},
                                               Choice{"elevator", "elevator"},
                                               Choice{"rudder", "rudder"},
                                               Choice{"spoiler", "spoiler plate"},
                                               Choice{"wholePanel", "panel that turns as a whole"}};
static_assert(surfaceKindChoices.size() == wordsFor(SurfaceKind::wholePanel));

/// Left against right they turn a wing.
inline bool rolls(SurfaceKind kind) {
  return kind == SurfaceKind::aileron || kind == SurfaceKind::elevon;
}

/// How a hinge line is laid off at either end.
enum class HingeBy { chord, fromTail };
inline constexpr std::array hingeByChoices{Choice{"chord", "chord fractions"}, Choice{"fromTail", "lengths before TE"}};
static_assert(hingeByChoices.size() == wordsFor(HingeBy::fromTail));

enum class HingeAt { top, middle, underside };
inline constexpr std::array hingeAtChoices{Choice{"top", "top"}, Choice{"middle", "middle"},
                                           Choice{"underside", "underside"}};
static_assert(hingeAtChoices.size() == wordsFor(HingeAt::underside));

/// How the surface's front is made free to turn.
enum class SurfaceNose { bevelled, round };
inline constexpr std::array surfaceNoseChoices{Choice{"bevelled", "bevelled"}, Choice{"round", "round"}};
static_assert(surfaceNoseChoices.size() == wordsFor(SurfaceNose::round));

/// How the ribs are sawn through.
enum class CutPlane { squareToChord, upright, raked };
inline constexpr std::array cutPlaneChoices{Choice{"squareToChord", "square to the chord line"},
                                            Choice{"upright", "upright on the board"}, Choice{"raked", "raked"}};
static_assert(cutPlaneChoices.size() == wordsFor(CutPlane::raked));

/// What a surface is of: the panel's own tail, sawn off when the frame is finished; its ribs cut in two beforehand; a
/// piece of solid sheet or wedge stock, or of foam; a core with sheet bent round it.
enum class SurfaceBuilt { sawnOff, apart, solid, skinned };
inline constexpr std::array surfaceBuiltChoices{
    Choice{"sawnOff", "sawn off the finished frame"}, Choice{"apart", "ribs in two, built by itself"},
    Choice{"solid", "one solid piece"}, Choice{"skinned", "a core with sheet round it"}};
static_assert(surfaceBuiltChoices.size() == wordsFor(SurfaceBuilt::skinned));

enum class TravelIn { degrees, millimetres };
inline constexpr std::array travelInChoices{Choice{"degrees", "degrees"}, Choice{"millimetres", "rise of the TE"}};
static_assert(travelInChoices.size() == wordsFor(TravelIn::millimetres));

/// What moves a surface.
enum class MovedBy { nothing, pushrod, pullPull, torqueRod };
inline constexpr std::array movedByChoices{Choice{"nothing", "not decided"}, Choice{"pushrod", "a pushrod"},
                                           Choice{"pullPull", "two pulled cords"}, Choice{"torqueRod", "a torque rod"}};
static_assert(movedByChoices.size() == wordsFor(MovedBy::torqueRod));

/// Hinges along a surface: the rule is common practice (no source).
struct Hinges {
  int count = 0;                      ///< 0: as many as `apart` asks for
  double apart = 130;                 ///< mm at most, and never fewer than two
  double fromEnd = 25;                ///< mm from the surface's ends to the outermost ones
  double width = 12;                  ///< along the hinge line; of a pin its diameter
  double deep = 10;                   ///< into either part
  double slot = 0.5;                  ///< thickness of what is let in
  double block = 20;                  ///< mm along the line, of the block behind it; 0 for none
  std::string material = "balsa-190"; ///< of the blocks, of hinges and horn
  bool operator==(const Hinges&) const = default;
};

/// Servo, arm, rod and horn, in the plane of the section where the horn stands: aft and up, angles from aft towards up.
struct Drive {
  MovedBy by = MovedBy::nothing;
  std::string servo = "class-9";
  double at = 150;                   ///< mm of the panel's span
  double servoChord = 0.45;          ///< of the chord there: the servo's axis
  double servoUp = -4;               ///< mm over the chord line
  double arm = 10;                   ///< axis to the rod's pin; of a torque rod the crank at the servo's end
  double armDeg = -90;               ///< at rest
  double servoDeg = 45;              ///< it turns so far to either side
  double horn = 15;                  ///< hinge line to the rod's pin
  double hornDeg = -90;              ///< at rest
  double hornBlock = 20;             ///< side of the block under the horn
  double play = 0.2;                 ///< mm at the horn's pin, up and down together
  double plate = 2;                  ///< the servo's plate, or its hatch
  double wire = 2.5, wireLong = 100; ///< of a torque rod: its diameter, and mm from its crank to the surface
  double joinWire = 0;               ///< diameter of a wire that joins both halves of an innermost one; 0 for none
  double joinIn = 15, joinLeg = 40;  ///< mm: along the hinge line into either half, and then aft into it
  bool operator==(const Drive&) const = default;
};

/// A flap that moves aft as it goes down rides with two pins in a curved slot through three places of its rear pin: at
/// rest, on its way, and at its end.
struct Slide {
  bool fitted = false;
  double midAft = 14, midDown = 3; ///< mm from rest
  double endAft = 26, endDown = 12;
  double pinsApart = 20, pin = 3; ///< mm
  double lining = 1;              ///< mm of hard strip along the slot, on either side: plain wood wears
  bool operator==(const Slide&) const = default;
};

struct Surface {
  std::string name = "aileron";
  SurfaceKind kind = SurfaceKind::aileron;
  bool goesOn = false;         ///< from that of the panel inside, as one
  double from = 100, to = 400; ///< mm of the panel's span
  HingeBy by = HingeBy::chord;
  double chordFrom = 0.75, chordTo = 0.75; ///< of the chord at either end; of a whole panel its axis
  double tailFrom = 50, tailTo = 40;       ///< mm along the chord line
  HingeAt at = HingeAt::top;
  double gap = 0.5; ///< mm between wing and surface at the hinge line, square to it
  CutPlane plane = CutPlane::squareToChord;
  double rakeDeg = 0; ///< its top aft, from square to the chord line
  SurfaceNose nose = SurfaceNose::bevelled;
  TravelIn travelIn = TravelIn::degrees;
  double upDeg = 20, downDeg = 15;
  double upMm = 12, downMm = 9; ///< of the trailing edge where the surface is widest, upright
  double wingFacing = 1.5;      ///< on the wing's ribs; 0 for none
  double facing = 6;            ///< on the surface's, bevels and round noses are made in it; 0 for none
  double proud = 1.5;           ///< mm that strips stand over the curve above and below, to be planed
  std::string facingMaterial = "balsa-160";
  SurfaceBuilt built = SurfaceBuilt::sawnOff;
  std::string material = "balsa-160"; ///< solid, or the core
  double skin = 0.8;
  std::string skinMaterial = "balsa-160";
  double endRib = 1.5;    ///< closes it at either end; 0 for none
  double endClear = 1;    ///< mm that it stands clear of the wing there
  double infill = 0;      ///< mm of sheet between the ribs behind the facing, flush, against the covering's pull
  double gusset = 0;      ///< side of the gussets at its ribs' fronts
  double plate = 1.5;     ///< a spoiler's thickness
  double plateChord = 30; ///< and how wide it is along the chord
  double weightArm = 20;  ///< mm before the hinge line that a counterweight would sit
  double speed = 15;      ///< m/s at which it is moved to its full travel
  Hinges hinges;
  Drive drive;
  Slide slide; ///< of a flap
  bool plateLike() const { return kind == SurfaceKind::spoiler; }
  bool whole() const { return kind == SurfaceKind::wholePanel; }
  /// Ribs are parted by it.
  bool partsRibs() const { return !plateLike() && !whole(); }
  /// It is of the panel's own ribs.
  bool ofRibs() const { return partsRibs() && (built == SurfaceBuilt::sawnOff || built == SurfaceBuilt::apart); }
  /// It is of wood of its own: the panel ends at the hinge.
  bool ofOwnWood() const { return partsRibs() && !ofRibs(); }
  /// Left and right move alike, so that one wire may move both.
  bool movesAsOne() const { return partsRibs() && !rolls(kind); }
  int number = 0; ///< its own for good, from 1; 0 while it has none (see lasting.h)
  bool operator==(const Surface&) const = default;
};

} // namespace eup
