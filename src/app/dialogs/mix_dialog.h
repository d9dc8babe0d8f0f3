// Helpers at the bench: how much resin and hardener for an area, weighed against scales; what a glue asks for.
#pragma once
#include "app/devices/instrument_port.h"
#include "app/state/standpoint.h"
#include "core/bench/step.h"
#include <QDialog>

class QCheckBox;
class QComboBox;
class QDoubleSpinBox;
class QLabel;

namespace eup::app {

class MixDialog : public QDialog {
  Q_OBJECT
public:
  /// `scales` may be read while one pours; it is not owned.
  MixDialog(Document& document, Standpoint& standpoint, InstrumentPort& scales, QWidget* parent = nullptr);
  Mixture mixture() const;

private:
  void refresh();
  void showPoured();
  Document& document;
  InstrumentPort& scales;
  QDoubleSpinBox *area = nullptr, *cloth = nullptr, *share = nullptr, *ratio = nullptr, *waste = nullptr,
                 *resinDensity = nullptr, *hardenerDensity = nullptr, *batch = nullptr;
  QCheckBox* volume = nullptr;
  QComboBox* glue = nullptr;
  QLabel *told = nullptr, *poured = nullptr, *glueTold = nullptr;
};

} // namespace eup::app
