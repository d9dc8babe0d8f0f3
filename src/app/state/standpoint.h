// Where the user stands: the one selection of the window. Stage, wing, panel, rib, what is decided there, and how it is
// looked at. Not part of the design and not undone.
#pragma once
#include "app/state/document.h"
#include <map>
#include <QObject>
#include <QString>

namespace eup::app {

enum class ShownHand { left, both, right };

class Standpoint : public QObject {
  Q_OBJECT
public:
  /// Built before every view of the document, so that it is in order when they refresh.
  explicit Standpoint(const Document& document, QObject* parent = nullptr);

  Stage stage() const { return theStage; }
  /// The panel that is worked on; the design has it.
  PanelId panel() const { return thePanel; }
  int wing() const { return thePanel.wing; }
  int rib() const { return theRib; } ///< number in its wing, from 1
  /// What is decided in a stage: one of `subjectsOf`, or nothing on the plan.
  Subject subject(Stage of) const;
  Subject subject() const { return subject(theStage); }
  int spar() const { return theSpar; } ///< counted from 0
  /// The piece that is chosen in the parts list, of the panel that is worked on. It may have gone.
  const std::optional<PieceId>& piece() const { return thePiece; }
  bool tipSection() const { return subject(Stage::sections).topic == Topic::tipSection; }
  ShownHand hand() const { return theHand; }
  const QString& compareWith() const { return theCompareWith; } ///< NACA digits of a third section to lay over
  bool underlay() const { return theUnderlay; }                 ///< the plan shines through under the wing
  bool inSpace() const { return theInSpace; }                   ///< the finished wing in place of the stage's own board

  /// What is on the board: the model as its right hand is built, or a left hand of its own. There is a wing.
  const TrueWing& shownModel() const;
  /// Whether that is a left hand of its own: it is looked at, not pulled at.
  bool showsOwnLeft() const { return document.hasWing() && &shownModel() != &document.wing(); }
  /// The wing on the board that is worked on, its panel and its rib: the nearest that are there. There is a wing.
  const WholeWing& shownWing() const;
  const TruePanel& shownPanel() const;
  const Rib& shownRib() const;
  /// Whether a place on the board is the same one in the design, so that it can be worked on.
  bool canWork() const;

  void setStage(Stage stage);
  void setWing(int wing);
  void setPanel(PanelId panel);        ///< its root rib, unless the rib stands in it
  void setRib(int number);             ///< and the panel that it belongs to
  void setRibAt(double out);           ///< the nearest, mm of the span from the middle; of the panel that reaches there
  void choose(const Subject& subject); ///< and the stage that it is decided in
  void setSpar(int index);
  void setPiece(PanelId panel, std::optional<PieceId> piece); ///< and its rib, if it has one
  void setHand(ShownHand hand);
  void setCompareWith(const QString& digits) { set(theCompareWith, digits, Aspect::view); }
  void setUnderlay(bool on) { set(theUnderlay, on, Aspect::view); }
  void setInSpace(bool on) { set(theInSpace, on, Aspect::view); }

Q_SIGNALS:
  void changed(eup::app::Changes what);

private:
  template <class T> void set(T& member, T value, Changes what) {
    if (member == value) return;
    member = value;
    Q_EMIT changed(what);
  }
  /// After a change of the design: what is chosen must be there.
  void keepInOrder();

  const Document& document;
  Stage theStage = Stage::panels;
  PanelId thePanel;
  int theRib = 1, theSpar = 0;
  std::optional<PieceId> thePiece;
  std::map<Stage, Subject> subjects; ///< as chosen; `subject` answers what is there
  ShownHand theHand = ShownHand::right;
  bool theUnderlay = true, theInSpace = false;
  QString theCompareWith;
};

} // namespace eup::app
