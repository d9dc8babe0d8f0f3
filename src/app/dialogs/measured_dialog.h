// A dialog in which something is measured on the bench: what is typed on one side, what follows in words under it.
#pragma once
#include "core/measure/length_text.h"
#include <QDialog>

class QLabel;
class QLineEdit;
class QPushButton;
class QVBoxLayout;

namespace eup::app {

class MeasuredDialog : public QDialog {
  Q_OBJECT
protected:
  MeasuredDialog(const QString& title, const QString& words, LengthUnit unit, QWidget* parent);
  /// A field that is followed; `digits` of what it begins with.
  QLineEdit* field(const char* name, double begins, bool isLength, int digits);
  /// " , mm" behind a label of a length, where lengths are typed without a unit.
  QString unitOf(bool isLength, const QString& other) const;
  Result<double> read(const QLineEdit* edit, bool isLength) const;
  /// Under the fields: what follows, and what takes it.
  void finish(const QString& take, const char* name);
  /// What follows from all that is typed, by `follows` or `refuse`.
  virtual void follow() = 0;
  void follows(const QString& words);
  void refuse(const Problem& why);

  QVBoxLayout* column;
  LengthUnit unit;
  bool made() const { return take != nullptr; }

private:
  QLabel* says = nullptr;
  QPushButton* take = nullptr;
};

} // namespace eup::app
