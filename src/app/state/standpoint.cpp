#include "app/state/standpoint.h"
#include <algorithm>
#include <cmath>

namespace eup::app {

Standpoint::Standpoint(const Document& d, QObject* parent) : QObject(parent), document(d) {
  connect(&document, &Document::replaced, this, [this] {
    thePanel = {};
    theRib = 1;
    theSpar = 0;
    subjects.clear();
  });
  connect(&document, &Document::changed, this, &Standpoint::keepInOrder);
}

Subject Standpoint::subject(Stage of) const {
  const std::vector<Subject> all = subjectsOf(document.design(), of, thePanel);
  if (all.empty()) return {};
  const auto chosen = subjects.find(of);
  if (chosen != subjects.end() && std::find(all.begin(), all.end(), chosen->second) != all.end()) return chosen->second;
  if (chosen != subjects.end()) // a part that is no longer there: what it was a part of, or another of its kind
    for (const Topic topic : {chosen->second.topic, Topic::spar})
      for (const Subject& s : all)
        if (s.topic == topic) return s;
  return all.front();
}

const TrueWing& Standpoint::shownModel() const {
  return document.wing().of(theHand == ShownHand::left ? Hand::left : Hand::right);
}

const WholeWing& Standpoint::shownWing() const {
  const TrueWing& aircraft = shownModel();
  return aircraft.wing(std::min(thePanel.wing, static_cast<int>(aircraft.wings.size()) - 1));
}

const TruePanel& Standpoint::shownPanel() const {
  const auto& panels = shownWing().panels;
  return panels[std::min(static_cast<std::size_t>(thePanel.panel), panels.size() - 1)];
}

const Rib& Standpoint::shownRib() const {
  const TruePanel& p = shownPanel();
  return p.rib(std::clamp(theRib, p.frame.ribs.front().number, p.frame.ribs.back().number));
}

bool Standpoint::canWork() const {
  return document.now().bothHave(thePanel) && !showsOwnLeft();
}

void Standpoint::setHand(ShownHand hand) {
  if (hand == theHand) return;
  theHand = hand;
  // What follows is another's where the left hand is not the mirror image.
  const bool other = document.hasWing() && document.wing().left;
  Q_EMIT changed(other ? Aspect::view | Aspect::place : Changes(Aspect::view));
}

void Standpoint::setStage(Stage stage) {
  if (stage == theStage) return;
  Changes what = Aspect::stage | Aspect::subject;
  if (theInSpace) theInSpace = false, what |= Aspect::view;
  theStage = stage;
  Q_EMIT changed(what);
}

void Standpoint::setWing(int wing) {
  const int most = static_cast<int>(document.design().wings.size()) - 1;
  setPanel({std::clamp(wing, 0, most), 0});
}

void Standpoint::setPanel(PanelId panel) {
  if (panel == thePanel) return;
  if (panel.wing != thePanel.wing) theRib = 1;
  thePanel = panel;
  keepInOrder();
  Q_EMIT changed(Aspect::place | Aspect::subject);
}

void Standpoint::setRib(int number) {
  const auto before = std::pair(thePanel, theRib);
  theRib = std::max(number, 1);
  if (document.hasWing()) {
    theRib = std::min(theRib, shownWing().stationCount());
    const int panel = shownWing().panelAt(theRib).design.id.panel;
    const auto& design = document.design().wings[static_cast<std::size_t>(thePanel.wing)];
    thePanel.panel = std::min(panel, static_cast<int>(design.panels.size()) - 1);
  }
  if (before != std::pair(thePanel, theRib))
    Q_EMIT changed(before.first == thePanel ? Changes(Aspect::place) : Aspect::place | Aspect::subject);
}

void Standpoint::setRibAt(double out) {
  if (!document.hasWing()) return;
  // The panel under the place first: at a join two ribs stand there.
  const TruePanel* there = &shownWing().panels.front();
  for (const TruePanel& one : shownWing().panels)
    if (out >= one.design.inboard) there = &one;
  const double t = out - there->design.inboard;
  const Rib* nearest = &there->frame.ribs.front();
  for (const Rib& rib : there->frame.ribs)
    if (std::abs(rib.t() - t) < std::abs(nearest->t() - t)) nearest = &rib;
  setRib(nearest->number);
}

void Standpoint::choose(const Subject& subject) {
  const bool ofSpar = subject.topic == Topic::spar || isPartOfSpar(subject.topic);
  const Stage stage = stageOf(subject.topic);
  if (stage == theStage && subject == this->subject(stage) && (!ofSpar || theSpar == subject.number)) {
    subjects[stage] = subject;
    return;
  }
  subjects[stage] = subject;
  if (ofSpar) theSpar = subject.number;
  Changes what = Aspect::subject;
  if (stage != theStage) what |= Aspect::stage;
  theStage = stage;
  Q_EMIT changed(what);
}

void Standpoint::setSpar(int index) {
  if (theStage == Stage::spars) return choose({Topic::spar, index});
  subjects[Stage::spars] = {Topic::spar, index};
  set(theSpar, index, Aspect::subject);
}

void Standpoint::setPiece(PanelId panel, std::optional<PieceId> piece) {
  if (panel == thePanel && piece == thePiece) return;
  thePiece = piece;
  if (document.hasWing() && panel.wing < static_cast<int>(document.wing().wings.size()) &&
      panel.panel < static_cast<int>(document.wing().wing(panel.wing).panels.size())) {
    thePanel = panel;
    keepInOrder();
    for (const Part& part : shownPanel().parts)
      if (part.id == piece && part.rib) theRib = *part.rib;
  }
  Q_EMIT changed(Aspect::place | Aspect::subject);
}

void Standpoint::keepInOrder() {
  const auto& wings = document.design().wings;
  thePanel.wing = std::clamp(thePanel.wing, 0, static_cast<int>(wings.size()) - 1);
  const auto& panels = wings[static_cast<std::size_t>(thePanel.wing)].panels;
  thePanel.panel = std::clamp(thePanel.panel, 0, static_cast<int>(panels.size()) - 1);
  const int spars = static_cast<int>(panels[static_cast<std::size_t>(thePanel.panel)].spars.size());
  theSpar = std::clamp(theSpar, 0, std::max(spars - 1, 0));
  if (document.hasWing()) {
    const TruePanel& p = shownPanel();
    if (theRib < p.frame.ribs.front().number || theRib > p.frame.ribs.back().number)
      theRib = theRib > p.frame.ribs.back().number && p.design.id == thePanel && p.design.outermost()
                   ? p.frame.ribs.back().number
                   : p.frame.ribs.front().number;
  }
}

} // namespace eup::app
