// Where the user stands: stage, rib, spar, hand. Not part of the design and not undone.
#pragma once
#include "core/measure/figure.h"
#include <QObject>
#include <QString>

namespace eup::app {

enum class ShownHand { left, both, right };

class Standpoint : public QObject {
  Q_OBJECT
public:
  using QObject::QObject;
  Stage stage() const { return theStage; }
  int rib() const { return theRib; }   ///< number, from 1
  int spar() const { return theSpar; } ///< index
  ShownHand hand() const { return theHand; }
  bool tipSection() const { return theTipSection; }             ///< which of the two sections is worked on
  const QString& compareWith() const { return theCompareWith; } ///< NACA digits of a third section to lay over
  bool underlay() const { return theUnderlay; }                 ///< the plan shines through under the wing
  bool inSpace() const { return theInSpace; }                   ///< the finished wing in place of the stage's own board

  void setStage(Stage stage) {
    if (stage != theStage) theInSpace = false;
    set(theStage, stage);
  }
  void setRib(int number) { set(theRib, number); }
  void setSpar(int index) { set(theSpar, index); }
  void setHand(ShownHand hand) { set(theHand, hand); }
  void setTipSection(bool tip) { set(theTipSection, tip); }
  void setCompareWith(const QString& digits) { set(theCompareWith, digits); }
  void setUnderlay(bool on) { set(theUnderlay, on); }
  void setInSpace(bool on) { set(theInSpace, on); }

Q_SIGNALS:
  void changed();

private:
  template <class T> void set(T& member, T value) {
    if (member == value) return;
    member = value;
    Q_EMIT changed();
  }
  Stage theStage = Stage::panels;
  int theRib = 1, theSpar = 0;
  ShownHand theHand = ShownHand::right;
  bool theTipSection = false, theUnderlay = true, theInSpace = false;
  QString theCompareWith;
};

} // namespace eup::app
