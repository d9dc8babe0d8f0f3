// A bend test on the bench: what is measured on one side, what follows on the other.
#pragma once
#include "app/dialogs/measured_dialog.h"
#include "core/design/bend_test.h"
#include "core/measure/units.h"
#include <optional>

class QComboBox;

namespace eup::app {

class BendTestDialog : public MeasuredDialog {
  Q_OBJECT
public:
  /// `like` lends what was not tested.
  BendTestDialog(const Material& like, LengthUnit unit, QWidget* parent = nullptr);
  const std::optional<Material>& tested() const { return material; }

private:
  void follow() override;
  struct Field {
    QLineEdit* edit;
    double BendTest::*value;
    bool isLength;
  };
  Material like;
  std::vector<Field> fields;
  QLineEdit* name;
  QComboBox* hold;
  std::optional<Material> material;
};

} // namespace eup::app
