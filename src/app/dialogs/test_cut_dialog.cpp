#include "app/dialogs/test_cut_dialog.h"
#include <QtWidgets>

namespace eup::app {

TestCutDialog::TestCutDialog(LengthUnit u, QWidget* parent)
    : MeasuredDialog(tr("A test cut"),
                     tr("Cut the foam twice between straight guides, with the wire as hot as it will be, and time one "
                        "of the cuts. Measure the strip between them: what is missing is the slot. A second strip at "
                        "another speed tells how the slot grows where the wire is slow."),
                     u, parent) {
  auto* grid = new QGridLayout;
  column->addLayout(grid);
  two = new QCheckBox(tr("A second strip"), this);
  two->setObjectName("second");
  grid->addWidget(new QLabel(tr("First strip"), this), 0, 1);
  grid->addWidget(two, 0, 2);
  connect(two, &QCheckBox::toggled, this, &TestCutDialog::follow);
  const TestStrip start;
  int line = 1;
  const auto add = [&](const std::string& object, const QString& text, double TestStrip::*value, bool isLength) {
    auto* label = new QLabel(text + unitOf(isLength, tr(", seconds")), this);
    grid->addWidget(label, line, 0);
    for (const bool second : {false, true}) {
      double begins = start.*value;
      if (second && value == &TestStrip::seconds) begins *= 2;
      if (second && value == &TestStrip::left) begins = start.apart - start.slot() * std::sqrt(2.0);
      QLineEdit* edit = field((object + (second ? "2" : "")).c_str(), begins, isLength, isLength ? 2 : 1);
      edit->setAccessibleName(label->text() + (second ? tr(", second strip") : tr(", first strip")));
      grid->addWidget(edit, line, second ? 2 : 1);
      if (!second) label->setBuddy(edit);
      fields.push_back({edit, second, value, isLength});
    }
    ++line;
  };
  add("apart", tr("The wire's two ways lay apart"), &TestStrip::apart, true);
  add("left", tr("The strip is wide"), &TestStrip::left, true);
  add("length", tr("Timed over"), &TestStrip::length, true);
  add("seconds", tr("It took"), &TestStrip::seconds, false);
  finish(tr("Cut by this"), "takeCut");
}

void TestCutDialog::follow() {
  if (!made()) return;
  TestStrip strips[2];
  cut.reset();
  for (const Field& f : fields) {
    if (f.second) f.edit->setEnabled(two->isChecked());
    if (f.second && !two->isChecked()) continue;
    const auto typed = read(f.edit, f.isLength);
    if (!typed) return refuse({"", typed.problem().cause});
    strips[f.second ? 1 : 0].*f.value = typed.value();
  }
  const auto slot = testCut(strips[0], two->isChecked() ? std::optional(strips[1]) : std::nullopt);
  if (!slot) return refuse(slot.problem());
  cut = slot.value();
  QString words = tr("Slot = %1 − %2 = %3 mm, at %4 ÷ %5 = %6 mm/s.")
                      .arg(strips[0].apart, 0, 'g', 5)
                      .arg(strips[0].left, 0, 'g', 5)
                      .arg(cut->slot, 0, 'f', 2)
                      .arg(strips[0].length, 0, 'g', 5)
                      .arg(strips[0].seconds, 0, 'g', 4)
                      .arg(cut->speed, 0, 'f', 2);
  if (cut->power)
    words += "\n" + tr("It grows with the power ln(%1 ÷ %2) ÷ ln(%3 ÷ %4) = %5 of how much slower the wire goes. Two "
                       "strips tell no more than that: no law is published that we know.")
                        .arg(strips[1].slot(), 0, 'f', 2)
                        .arg(strips[0].slot(), 0, 'f', 2)
                        .arg(strips[0].speed(), 0, 'f', 2)
                        .arg(strips[1].speed(), 0, 'f', 2)
                        .arg(*cut->power, 0, 'f', 2);
  follows(words);
}

} // namespace eup::app
