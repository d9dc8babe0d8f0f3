// The order of work: the stages with their state; the one you are in is open, its parts under it.
#pragma once
#include "app/state/standpoint.h"
#include "app/state/watch.h"
#include <map>
#include <QToolButton>

class QLabel;
class QVBoxLayout;

namespace eup::app {

class Rail : public QWidget {
  Q_OBJECT
public:
  Rail(Document& document, Standpoint& standpoint, QWidget* parent = nullptr);

private:
  struct State {
    int findings = 0;
    bool wrong = false;
  };
  void refresh(Changes what);
  void countFindings();
  void showParts();
  /// A mark on the right of a button and the words that go with it.
  static void mark(QLabel* label, const QString& words, bool wrong);
  bool untouched(Stage stage) const;

  struct Entry {
    Stage stage;
    QToolButton* button;
    QLabel* state;
    QWidget* parts;
    QVBoxLayout* column;
  };
  struct Part {
    Subject subject;
    QToolButton* button;
    QLabel *title, *state;
  };
  Document& document;
  Standpoint& standpoint;
  std::vector<Entry> entries;
  std::vector<Part> parts; ///< of the stage that is open
  std::string partsShape;
  std::map<Stage, State> ofStage;
  std::map<std::string, State> ofSubject; ///< by its key; of the panel that is worked on
  std::map<Stage, bool> fresh;            ///< whether it is untouched
};

} // namespace eup::app
