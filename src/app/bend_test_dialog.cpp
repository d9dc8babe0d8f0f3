#include "app/bend_test_dialog.h"
#include "core/measure/length_text.h"
#include <QtWidgets>

namespace eup::app {

BendTestDialog::BendTestDialog(const Material& l, LengthUnit u, QWidget* parent) : QDialog(parent), like(l), unit(u) {
  setWindowTitle(tr("A bend test"));
  resize(560, 480);
  auto* column = new QVBoxLayout(this);
  auto* words = new QLabel(tr("Lay a strip over two edges, read its height in the middle, hang a weight there, read it "
                              "again: the difference is the sag. Or clamp one end and load the other. Then weigh the "
                              "whole strip or sheet."),
                           this);
  words->setWordWrap(true);
  column->addWidget(words);
  auto* form = new QFormLayout;
  column->addLayout(form);
  name = new QLineEdit(tr("my strip"), this);
  name->setObjectName("name");
  form->addRow(tr("Name"), name);
  connect(name, &QLineEdit::textChanged, this, &BendTestDialog::follow);
  hold = new QComboBox(this);
  hold->setObjectName("hold");
  hold->addItems({tr("on two edges, the weight in the middle"), tr("clamped at one end, the weight at the other")});
  form->addRow(tr("Held"), hold);
  connect(hold, &QComboBox::currentIndexChanged, this, &BendTestDialog::follow);
  const BendTest start;
  const auto add = [&](const char* object, const QString& label, double BendTest::*value, bool isLength) {
    auto* edit = new QLineEdit(this);
    edit->setObjectName(object);
    edit->setText(
        QString::fromStdString(isLength ? formatLength(start.*value, unit, 2) : formatNumber(start.*value, 2)));
    form->addRow(label + (isLength ? unit == LengthUnit::mm ? tr(", mm") : QString() : tr(", g")), edit);
    connect(edit, &QLineEdit::textChanged, this, &BendTestDialog::follow);
    fields.push_back({edit, value, isLength});
  };
  add("width", tr("Width"), &BendTest::width, true);
  add("depth", tr("Depth, the way it bends"), &BendTest::depth, true);
  add("span", tr("Free between the edges, or to the weight"), &BendTest::span, true);
  add("load", tr("Weight hung on"), &BendTest::load, false);
  add("sag", tr("Sags by"), &BendTest::sag, true);
  add("length", tr("Whole length on the scales"), &BendTest::length, true);
  add("weight", tr("It weighs"), &BendTest::weight, false);
  says = new QLabel(this);
  says->setObjectName("says");
  says->setWordWrap(true);
  says->setTextInteractionFlags(Qt::TextSelectableByMouse);
  column->addWidget(says);
  column->addStretch();
  auto* buttons = new QDialogButtonBox(this);
  take = buttons->addButton(tr("Give it a row"), QDialogButtonBox::AcceptRole);
  take->setObjectName("takeTest");
  buttons->addButton(tr("Leave it"), QDialogButtonBox::RejectRole);
  column->addWidget(buttons);
  connect(buttons, &QDialogButtonBox::accepted, this, &QDialog::accept);
  connect(buttons, &QDialogButtonBox::rejected, this, &QDialog::reject);
  follow();
}

void BendTestDialog::follow() {
  if (!take) return; // still being made
  BendTest test;
  test.hold = hold->currentIndex() == 0 ? BendHold::bothEnds : BendHold::oneEnd;
  material.reset();
  take->setEnabled(false);
  for (const Field& f : fields) {
    const std::string typed = f.edit->text().toStdString();
    const auto read = f.isLength ? parseLength(typed, unit) : parseNumber(typed);
    if (!read) return says->setText(QString::fromStdString(read.problem().cause));
    test.*f.value = read.value();
  }
  const auto made = materialFrom(test, like, name->text().trimmed().toStdString());
  if (!made) return says->setText(QString::fromStdString(made.problem().text()));
  material = made.value();
  take->setEnabled(true);
  const double inertia = test.width * test.depth * test.depth * test.depth / 12;
  says->setText(tr("E = F l³ ÷ (%1 I s) = %2 N × (%3 mm)³ ÷ (%1 × %4 mm⁴ × %5 mm) = %6 MPa, %7 times that of %8.\n"
                   "Density = %9 kg/m³.")
                    .arg(test.hold == BendHold::bothEnds ? 48 : 3)
                    .arg(test.load / 1000 * standardGravity, 0, 'f', 3)
                    .arg(test.span, 0, 'g', 5)
                    .arg(inertia, 0, 'g', 4)
                    .arg(test.sag, 0, 'g', 4)
                    .arg(material->modulus, 0, 'g', 4)
                    .arg(material->modulus / like.modulus, 0, 'f', 2)
                    .arg(QString::fromStdString(like.label))
                    .arg(material->density, 0, 'g', 4) +
                tr(" Strengths and shear follow in proportion to E: nothing was broken.\nBending of beams; the test is "
                   "good to a tenth or so."));
}

} // namespace eup::app
