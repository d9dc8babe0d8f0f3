// The curves under the spars: lift, shear, bending, twist and bend along the span, in line with the span rule.
#pragma once
#include "app/look/look.h"
#include "app/state/document.h"
#include "app/state/standpoint.h"
#include "core/takeaway/span_curves.h"
#include <QWidget>

class QCPAxisRect;
class QCPGraph;
class QCPItemStraightLine;
class QCPItemText;
class QCustomPlot;

namespace eup::app {

class SpanRule;

class LoadCurves : public QWidget {
  Q_OBJECT
public:
  LoadCurves(Document& document, Standpoint& standpoint, SpanRule& rule, const Look& look, QWidget* parent = nullptr);
  const std::vector<SpanCurve>& curves() const { return shown; }
  /// "Bending at R4: 8.54 N·m".
  QString wordsAt(std::size_t curve) const;
  /// Where a station stands across it, in pixels: the curves' own axis.
  double xOf(double y) const;

protected:
  void resizeEvent(QResizeEvent*) override;
  void changeEvent(QEvent*) override;
  void keyPressEvent(QKeyEvent*) override;
  bool eventFilter(QObject* watched, QEvent* event) override;

private:
  struct Row {
    QCPAxisRect* rect = nullptr;
    std::vector<QCPGraph*> graphs; ///< one a line of its curve
    QCPItemStraightLine* cursor = nullptr;
    QCPItemText *head = nullptr, *value = nullptr;
  };
  void refresh();
  void rebuild();
  void fill(std::size_t row, const WholeWing& wing);
  void pointAtRib();
  QString valueAt(const SpanCurve& curve) const;
  double chosenStation() const;
  Document& document;
  Standpoint& standpoint;
  SpanRule& rule;
  const Look& look;
  QCustomPlot* plot = nullptr;
  std::vector<SpanCurve> shown;
  std::vector<Row> rows;
  int shownWing = 0;
};

} // namespace eup::app
