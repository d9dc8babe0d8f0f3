// What a decision is about: the things of a wing that are decided one at a time, each a line under its stage.
#pragma once
#include "core/design/design.h"
#include "core/measure/figure.h"
#include <string>
#include <vector>

namespace eup {

enum class Topic {
  none, // of the plan, or of the tables: decided in a place of its own
  model,
  wing,
  rootSection,
  tipSection,
  panel,
  ribPlaces,
  tip,
  leftHand,
  ribs,
  sticks,
  riblets,
  sheeting,
  sheetingBelow,
  sheeted,
  holds,
  sheetPanel,
  cloth,
  foam,
  inCore,
  wire,
  machine,
  surface,
  surfaceTravel,
  surfaceMake,
  surfaceHinges,
  surfaceSlide,
  surfaceDrive,
  run,
  hardPoint,
  lightening,
  capStrips,
  leadingEdge,
  trailingEdge,
  spar,
  topCap,
  bottomCap,
  webs,
  stiffening,
  loads,
  happenings,
  twistAndDive,
  join,
  brace,
  joiner,
  strut,
  posts,
  settingUp,
  cutList,
  balance,
  aboard,
  bench,
  benchStep
};
inline constexpr std::array topicChoices{Choice{"none", ""},
                                         Choice{"model", "Model"},
                                         Choice{"wing", "Wing"},
                                         Choice{"rootSection", "Root section"},
                                         Choice{"tipSection", "Tip section"},
                                         Choice{"panel", "Panel"},
                                         Choice{"ribPlaces", "Rib places"},
                                         Choice{"tip", "Tip"},
                                         Choice{"leftHand", "Left hand"},
                                         Choice{"ribs", "Ribs"},
                                         Choice{"sticks", "Sticks"},
                                         Choice{"riblets", "Riblets"},
                                         Choice{"sheeting", "Nose sheet"},
                                         Choice{"sheetingBelow", "Nose sheet, below"},
                                         Choice{"sheeted", "Sheeted bays"},
                                         Choice{"holds", "Before it is closed"},
                                         Choice{"sheetPanel", "Panel of sheet"},
                                         Choice{"cloth", "Cloth"},
                                         Choice{"foam", "Foam"},
                                         Choice{"inCore", "In the core"},
                                         Choice{"wire", "Wire and boards"},
                                         Choice{"machine", "Machine"},
                                         Choice{"surface", "Surface"},
                                         Choice{"surfaceTravel", "Travel"},
                                         Choice{"surfaceMake", "Cut and make"},
                                         Choice{"surfaceHinges", "Hinges"},
                                         Choice{"surfaceSlide", "Track"},
                                         Choice{"surfaceDrive", "What moves it"},
                                         Choice{"run", "Leads and tubes"},
                                         Choice{"hardPoint", "Hard points"},
                                         Choice{"lightening", "Lightening holes"},
                                         Choice{"capStrips", "Cap strips"},
                                         Choice{"leadingEdge", "Leading edge"},
                                         Choice{"trailingEdge", "Trailing edge"},
                                         Choice{"spar", "Spar"},
                                         Choice{"topCap", "Top cap"},
                                         Choice{"bottomCap", "Bottom cap"},
                                         Choice{"webs", "Webs"},
                                         Choice{"stiffening", "Stiffening"},
                                         Choice{"loads", "Loads"},
                                         Choice{"happenings", "Gusts and landings"},
                                         Choice{"twistAndDive", "Twist and dive"},
                                         Choice{"join", "Join"},
                                         Choice{"brace", "Brace"},
                                         Choice{"joiner", "Joiner"},
                                         Choice{"strut", "Struts"},
                                         Choice{"posts", "Posts"},
                                         Choice{"settingUp", "Setting up"},
                                         Choice{"cutList", "Cut list"},
                                         Choice{"balance", "Balance"},
                                         Choice{"aboard", "Aboard"},
                                         Choice{"bench", "At the bench"},
                                         Choice{"benchStep", "Step of my own"}};
static_assert(topicChoices.size() == wordsFor(Topic::benchStep));

/// The stage that a topic is decided in.
Stage stageOf(Topic topic);

/// A topic, and which one where there are several of them: spars and braces are counted from 0.
struct Subject {
  Topic topic = Topic::none;
  int number = 0;
  bool operator==(const Subject&) const = default;
  /// "topCap.1": a name that stays the same.
  std::string key() const;
};

/// What it is called in the trade: "Top cap", "main spar", "Second brace".
std::string titleOf(const Subject& subject, const Design& design, PanelId panel);
/// The same with the spar that it belongs to: "main spar, top cap".
std::string fullTitleOf(const Subject& subject, const Design& design, PanelId panel);

/// "brace", "second brace", counted from 0.
std::string braceName(int number);

/// What is decided of a panel in a stage, in order. A part of a spar is listed after its spar. Empty for the plan,
/// which has a page of its own.
std::vector<Subject> subjectsOf(const Design& design, Stage stage, PanelId panel);
/// Whether it is a part of the one listed before it: a cap, a web.
bool isPartOfSpar(Topic topic);
/// The same of a surface: its travel, its hinges.
bool isPartOfSurface(Topic topic);

} // namespace eup
