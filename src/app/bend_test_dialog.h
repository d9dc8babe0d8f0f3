// A bend test on the bench: what is measured on one side, what follows on the other.
#pragma once
#include "core/design/bend_test.h"
#include "core/measure/units.h"
#include <optional>
#include <QDialog>

class QComboBox;
class QLabel;
class QLineEdit;
class QPushButton;

namespace eup::app {

class BendTestDialog : public QDialog {
  Q_OBJECT
public:
  /// `like` lends what was not tested.
  BendTestDialog(const Material& like, LengthUnit unit, QWidget* parent = nullptr);
  const std::optional<Material>& made() const { return material; }

private:
  void follow();
  struct Field {
    QLineEdit* edit;
    double BendTest::*value;
    bool isLength;
  };
  Material like;
  LengthUnit unit;
  std::vector<Field> fields;
  QLineEdit* name;
  QComboBox* hold;
  QLabel* says;
  QPushButton* take = nullptr;
  std::optional<Material> material;
};

} // namespace eup::app
