// Below a section's numbers: where else it can come from, its steps, what to lay over it, and writing it.
#pragma once
#include "app/state/document.h"
#include "app/state/standpoint.h"
#include "core/section/catalogue.h"
#include <QDialog>

class QCheckBox;
class QLineEdit;
class QTableWidget;

namespace eup::app {

class SectionTools : public QWidget {
  Q_OBJECT
public:
  SectionTools(Document& document, Standpoint& standpoint, bool root, QWidget* parent = nullptr);

Q_SIGNALS:
  void openCoordinates(const QString& end);
  void writeSection(const QString& end);

private:
  void edit(const QString& name, const std::function<void(SectionChoice&)>& change);
  void traceFromPlan();
  Document& document;
  Standpoint& standpoint;
  bool root;
};

/// The catalogue: searched by words, thickness, camber and a flat underside.
class CatalogueDialog : public QDialog {
  Q_OBJECT
public:
  explicit CatalogueDialog(QWidget* parent = nullptr);
  const CatalogueEntry* chosen() const;

private:
  void refresh();
  double percent(const QLineEdit* edit, double otherwise) const;
  QLineEdit *wordsEdit, *thickFrom, *thickTo, *camberFrom, *camberTo;
  QCheckBox* flat;
  QTableWidget* table;
  QWidget* preview;
  std::vector<const CatalogueEntry*> found;
};

} // namespace eup::app
