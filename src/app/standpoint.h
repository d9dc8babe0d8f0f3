// Where the user stands: stage, rib, spar, hand. Not part of the design and not undone.
#pragma once
#include "core/measure/figure.h"
#include <QObject>

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

  void setStage(Stage stage) { set(theStage, stage); }
  void setRib(int number) { set(theRib, number); }
  void setSpar(int index) { set(theSpar, index); }
  void setHand(ShownHand hand) { set(theHand, hand); }

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
};

} // namespace eup::app
