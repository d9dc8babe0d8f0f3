#include "app/dialogs/measured_dialog.h"
#include <QtWidgets>

namespace eup::app {

MeasuredDialog::MeasuredDialog(const QString& title, const QString& words, LengthUnit u, QWidget* parent)
    : QDialog(parent), column(new QVBoxLayout(this)), unit(u) {
  setWindowTitle(title);
  resize(560, 460);
  auto* head = new QLabel(words, this);
  head->setWordWrap(true);
  column->addWidget(head);
}

QLineEdit* MeasuredDialog::field(const char* name, double begins, bool isLength, int digits) {
  auto* edit = new QLineEdit(this);
  edit->setObjectName(name);
  edit->setText(QString::fromStdString(isLength ? formatLength(begins, unit, digits) : formatNumber(begins, digits)));
  connect(edit, &QLineEdit::textChanged, this, [this] { follow(); });
  return edit;
}

QString MeasuredDialog::unitOf(bool isLength, const QString& other) const {
  return isLength ? unit == LengthUnit::mm ? tr(", mm") : QString() : other;
}

Result<double> MeasuredDialog::read(const QLineEdit* edit, bool isLength) const {
  const std::string typed = edit->text().toStdString();
  return isLength ? parseLength(typed, unit) : parseNumber(typed);
}

void MeasuredDialog::finish(const QString& words, const char* name) {
  says = new QLabel(this);
  says->setObjectName("says");
  says->setWordWrap(true);
  says->setTextInteractionFlags(Qt::TextSelectableByMouse);
  column->addWidget(says);
  column->addStretch();
  auto* buttons = new QDialogButtonBox(this);
  take = buttons->addButton(words, QDialogButtonBox::AcceptRole);
  take->setObjectName(name);
  buttons->addButton(tr("Leave it"), QDialogButtonBox::RejectRole);
  column->addWidget(buttons);
  connect(buttons, &QDialogButtonBox::accepted, this, &QDialog::accept);
  connect(buttons, &QDialogButtonBox::rejected, this, &QDialog::reject);
  follow();
}

void MeasuredDialog::follows(const QString& words) {
  says->setText(words);
  take->setEnabled(true);
}

void MeasuredDialog::refuse(const Problem& why) {
  says->setText(QString::fromStdString(why.text()));
  take->setEnabled(false);
}

} // namespace eup::app
