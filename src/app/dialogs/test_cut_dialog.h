// A wire's slot from strips cut for a test: what is measured on one side, what follows on the other.
#pragma once
#include "app/dialogs/measured_dialog.h"
#include "core/foam/test_cut.h"

class QCheckBox;

namespace eup::app {

class TestCutDialog : public MeasuredDialog {
  Q_OBJECT
public:
  TestCutDialog(LengthUnit unit, QWidget* parent = nullptr);
  /// What follows; nothing from what cannot be.
  const std::optional<TestCut>& found() const { return cut; }

private:
  void follow() override;
  struct Field {
    QLineEdit* edit;
    bool second;
    double TestStrip::*value;
    bool isLength;
  };
  std::vector<Field> fields;
  QCheckBox* two;
  std::optional<TestCut> cut;
};

} // namespace eup::app
