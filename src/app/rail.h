// The order of work: one button a stage, with its state.
#pragma once
#include "app/document.h"
#include "app/standpoint.h"
#include <QToolButton>
#include <QWidget>

class QLabel;

namespace eup::app {

class Rail : public QWidget {
  Q_OBJECT
public:
  Rail(Document& document, Standpoint& standpoint, QWidget* parent = nullptr);

private:
  void refresh();
  struct Entry {
    Stage stage;
    QToolButton* button;
    QLabel* state;
  };
  Document& document;
  Standpoint& standpoint;
  std::vector<Entry> entries;
};

inline constexpr Stage allStages[] = {Stage::plan, Stage::sections, Stage::panels,
                                      Stage::ribs, Stage::spars,    Stage::joins};

} // namespace eup::app
