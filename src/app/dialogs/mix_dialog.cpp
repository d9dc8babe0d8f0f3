#include "app/dialogs/mix_dialog.h"
#include "core/measure/units.h"
#include <cmath>
#include <QtWidgets>

namespace eup::app {

MixDialog::MixDialog(Document& d, Standpoint& s, InstrumentPort& of, QWidget* parent)
    : QDialog(parent), document(d), scales(of) {
  setWindowTitle(tr("Resin and glue"));
  setObjectName("mixDialog");
  auto* column = new QVBoxLayout(this);
  auto* form = new QFormLayout;
  column->addLayout(form);
  const auto number = [&](QDoubleSpinBox*& to, const QString& label, const char* name, double low, double high,
                          double at, int digits, const QString& unit) {
    to = new QDoubleSpinBox(this);
    to->setObjectName(name);
    to->setRange(low, high);
    to->setDecimals(digits);
    to->setValue(at);
    to->setSuffix(unit.isEmpty() ? QString() : " " + unit);
    to->setAccessibleName(label);
    form->addRow(label, to);
    connect(to, &QDoubleSpinBox::valueChanged, this, [this] { refresh(); });
  };
  double square = 20, weight = 50, takes = 1; // dm², g/m², g a g
  if (document.hasWing()) {
    const TruePanel& p = s.shownPanel();
    const Cloth& c = p.design.cloth;
    double faces = 0;
    for (const Part& part : p.parts)
      if (part.id.kind == PieceKind::cloth) faces += part.area * part.count;
    if (faces > 0) square = faces / 1e4, weight = c.gsm, takes = c.resinRatio;
  }
  number(area, tr("Cloth, all its layers"), "mixArea", 0.1, 10000, square, 1, tr("dm²"));
  number(cloth, tr("It weighs"), "mixCloth", 1, 2000, weight, 0, tr("g/m²"));
  number(share, tr("Resin to a gram of cloth"), "mixShare", 0.2, 10, takes, 2, tr("g"));
  number(waste, tr("Left in cup and brush"), "mixWaste", 0, 100, 15, 0, tr("%"));
  number(ratio, tr("Parts of resin to one of hardener"), "mixRatio", 0.2, 20, 2, 2, {});
  volume = new QCheckBox(tr("those parts are by volume"), this);
  volume->setObjectName("mixVolume");
  connect(volume, &QCheckBox::toggled, this, [this] { refresh(); });
  form->addRow(QString(), volume);
  number(resinDensity, tr("Resin, density"), "mixResinDensity", 0.5, 3, 1.15, 2, tr("g/cm³"));
  number(hardenerDensity, tr("Hardener, density"), "mixHardenerDensity", 0.5, 3, 1.0, 2, tr("g/cm³"));
  number(batch, tr("Largest batch that stays cool"), "mixBatch", 1, 1000, 30, 0, tr("g"));
  told = new QLabel(this);
  told->setObjectName("mixTold");
  told->setWordWrap(true);
  QFont large = told->font();
  large.setPointSizeF(large.pointSizeF() * 1.35);
  told->setFont(large);
  column->addWidget(told);
  poured = new QLabel(this);
  poured->setObjectName("mixPoured");
  poured->setWordWrap(true);
  column->addWidget(poured);
  auto* line = new QFrame(this);
  line->setFrameShape(QFrame::HLine);
  column->addWidget(line);
  glue = new QComboBox(this);
  glue->setObjectName("mixGlue");
  glue->setAccessibleName(tr("Glue"));
  for (const Tables::Name& g : document.design().own.namesOn(Shelf::glue))
    glue->addItem(QString::fromStdString(std::string(g.label)), QString::fromStdString(std::string(g.key)));
  glue->setCurrentIndex(std::max(glue->findData(QString::fromStdString(document.design().glue)), 0));
  connect(glue, &QComboBox::currentIndexChanged, this, [this] { refresh(); });
  column->addWidget(glue);
  glueTold = new QLabel(this);
  glueTold->setObjectName("glueTold");
  glueTold->setWordWrap(true);
  column->addWidget(glueTold);
  auto* close = new QDialogButtonBox(QDialogButtonBox::Close, this);
  connect(close, &QDialogButtonBox::rejected, this, &QDialog::reject);
  column->addWidget(close);
  connect(&scales, &InstrumentPort::told, this, &MixDialog::showPoured);
  setMinimumWidth(430);
  refresh();
}

Mixture MixDialog::mixture() const {
  MixtureAsked asked;
  asked.area = area->value() * 1e4, asked.arealWeight = cloth->value(), asked.resinShare = share->value();
  asked.waste = waste->value() / 100, asked.ratio = ratio->value(), asked.byVolume = volume->isChecked();
  asked.resinDensity = resinDensity->value(), asked.hardenerDensity = hardenerDensity->value();
  asked.largestBatch = batch->value();
  return mixtureFor(asked);
}

void MixDialog::refresh() {
  if (!glueTold) return; // still being laid out
  resinDensity->setEnabled(volume->isChecked());
  hardenerDensity->setEnabled(volume->isChecked());
  const Mixture m = mixture();
  const double celsius = document.design().bench.celsius;
  const Glue& epoxy = document.design().own.glue("epoxy");
  QString text = tr("%1 g in all: %2 g of resin and %3 g of hardener")
                     .arg(m.grams, 0, 'f', 1)
                     .arg(m.resin, 0, 'f', 1)
                     .arg(m.hardener, 0, 'f', 1);
  if (m.batches > 1)
    text += tr(", in %1 batches of %2 + %3 g")
                .arg(m.batches)
                .arg(m.resin / m.batches, 0, 'f', 1)
                .arg(m.hardener / m.batches, 0, 'f', 1);
  told->setText(text +
                tr(". Use a batch up within %1 minutes at %2 °C, by the table's slow epoxy; the maker's sheet comes "
                   "first.")
                    .arg(openMinutes(epoxy, celsius), 0, 'f', 0)
                    .arg(celsius, 0, 'f', 0));
  const Glue& g = document.design().own.glue(glue->currentData().toString().toStdString());
  glueTold->setText(
      tr("At %1 °C: open %2 minutes, handled on after %3 hours. %4\nGloves, air, no flame; instant glue wants "
         "eye protection.")
          .arg(celsius, 0, 'f', 0)
          .arg(openMinutes(g, celsius), 0, 'f', openMinutes(g, celsius) < 3 ? 1 : 0)
          .arg(cureHours(g, celsius), 0, 'f', 1)
          .arg(QString::fromStdString(g.source)));
  showPoured();
}

/// Against the scales: resin first, then the hardener to what the resin that is there asks for.
void MixDialog::showPoured() {
  const InstrumentStatus& s = scales.status();
  if (!s.mean || s.unit != "g") {
    poured->setText(
        tr("With scales connected on the page of readings it is told here how much is still to be poured."));
    return;
  }
  const StillToPour left = stillToPour(mixture(), *s.mean);
  const QString there = tr("On the scales %1 g").arg(*s.mean, 0, 'f', 2);
  poured->setText(left.resin > 0      ? tr("%1: pour %2 g more resin").arg(there).arg(left.resin, 0, 'f', 2)
                  : left.hardener > 0 ? tr("%1: pour %2 g more hardener").arg(there).arg(left.hardener, 0, 'f', 2)
                                      : tr("%1: that is all of it. Set the cup down in the same place when you weigh "
                                           "again.")
                                            .arg(there));
}

} // namespace eup::app
