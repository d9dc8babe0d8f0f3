#include "app/dialogs/bend_test_dialog.h"
#include <QtWidgets>

namespace eup::app {

BendTestDialog::BendTestDialog(const Material& l, LengthUnit u, QWidget* parent)
    : MeasuredDialog(tr("A bend test"),
                     tr("Lay a strip over two edges, read its height in the middle, hang a weight there, read it "
                        "again: the difference is the sag. Or clamp one end and load the other. Then weigh the "
                        "whole strip or sheet."),
                     u, parent),
      like(l) {
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
    QLineEdit* edit = field(object, start.*value, isLength, 2);
    form->addRow(label + unitOf(isLength, tr(", g")), edit);
    fields.push_back({edit, value, isLength});
  };
  add("width", tr("Width"), &BendTest::width, true);
  add("depth", tr("Depth, the way it bends"), &BendTest::depth, true);
  add("span", tr("Free between the edges, or to the weight"), &BendTest::span, true);
  add("load", tr("Weight hung on"), &BendTest::load, false);
  add("sag", tr("Sags by"), &BendTest::sag, true);
  add("length", tr("Whole length on the scales"), &BendTest::length, true);
  add("weight", tr("It weighs"), &BendTest::weight, false);
  finish(tr("Give it a row"), "takeTest");
}

void BendTestDialog::follow() {
  if (!made()) return;
  BendTest test;
  test.hold = hold->currentIndex() == 0 ? BendHold::bothEnds : BendHold::oneEnd;
  material.reset();
  for (const Field& f : fields) {
    const auto typed = read(f.edit, f.isLength);
    if (!typed) return refuse({"", typed.problem().cause});
    test.*f.value = typed.value();
  }
  const auto row = materialFrom(test, like, name->text().trimmed().toStdString());
  if (!row) return refuse(row.problem());
  material = row.value();
  const double inertia = test.width * test.depth * test.depth * test.depth / 12;
  follows(tr("E = F l³ ÷ (%1 I s) = %2 N × (%3 mm)³ ÷ (%1 × %4 mm⁴ × %5 mm) = %6 MPa, %7 times that of %8.\n"
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
