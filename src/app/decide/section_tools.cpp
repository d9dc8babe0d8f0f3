#include "app/decide/section_tools.h"
#include "app/decide/decide_panel.h"
#include "core/described/decisions.h"
#include "core/measure/length_text.h"
#include "core/section/naca.h"
#include <QCheckBox>
#include <QComboBox>
#include <QDialogButtonBox>
#include <QGridLayout>
#include <QHeaderView>
#include <QLabel>
#include <QPainter>
#include <QPushButton>
#include <QTableWidget>

namespace eup::app {

SectionTools::SectionTools(Document& d, Standpoint& s, bool isRoot, QWidget* parent)
    : QWidget(parent), document(d), standpoint(s), root(isRoot) {
  const QString end = root ? "root" : "tip";
  auto* grid = new QGridLayout(this);
  grid->setContentsMargins(0, 4, 0, 0);
  grid->setSpacing(4);
  const auto add = [&](const QString& text, const QString& name, int row, int column, auto run, int wide = 1) {
    auto* b = new QPushButton(text, this);
    b->setObjectName(name);
    connect(b, &QPushButton::clicked, this, run);
    grid->addWidget(b, row, column, 1, wide);
    return b;
  };
  auto* steps = new QComboBox(this);
  steps->setObjectName("stepKind");
  steps->setAccessibleName(tr("Change to add"));
  for (const Choice& c : stepChoices)
    steps->addItem(QString::fromUtf8(c.label.data(), static_cast<qsizetype>(c.label.size())));
  grid->addWidget(steps, 0, 0);
  const Sections& sections = document.design().at(standpoint.panel()).sections;
  const SectionChoice& now = root ? sections.root : sections.tip;
  auto* more = add(tr("Add this change"), "addStep", 0, 1, [this, steps] {
    edit(tr("Add a change"), [&](SectionChoice& c) {
      SectionStep step;
      step.kind = static_cast<StepKind>(steps->currentIndex());
      // It starts from what the section has, so that adding it alone moves nothing.
      const SectionMeasures m = measure(sectionOf(c));
      step.thickness = std::clamp(m.thickness, 0.01, 0.4);
      step.camber = std::clamp(m.camber, -0.15, 0.15);
      step.tail = std::clamp(m.tailThickness, 0.0, 0.08);
      step.nose = 1;
      c.steps.push_back(step);
    });
  });
  more->setEnabled(static_cast<int>(now.steps.size()) < mostSteps);
  auto* back = add(
      tr("Take the last change back"), "dropStep", 1, 0,
      [this] { edit(tr("Take a change back"), [](SectionChoice& c) { c.steps.pop_back(); }); }, 2);
  back->setEnabled(!now.steps.empty());
  add(tr("Open coordinates…"), "open " + end, 2, 0, [this, end] { Q_EMIT openCoordinates(end); });
  add(tr("Catalogue…"), "catalogue", 2, 1, [this] {
    CatalogueDialog dialog(window());
    if (dialog.exec() != QDialog::Accepted || !dialog.chosen()) return;
    const CatalogueEntry& e = *dialog.chosen();
    edit(tr("Section %1").arg(QString::fromStdString(e.name)), [&](SectionChoice& c) {
      c.kind = e.choice.kind;
      c.naca = e.choice.naca;
      c.drawn = e.choice.drawn;
    });
  });
  auto* trace = add(tr("Trace from the plan"), "traceFromPlan", 3, 0, [this] { traceFromPlan(); });
  const auto refresh = [this, trace] {
    trace->setEnabled(tracedFromPlan(document.design().plan, document.plan().sheets, root ? 1 : 2).has_value());
  };
  connect(&document, &Document::changed, this, refresh);
  refresh();
  trace->setToolTip(tr("Read the section's outline, top and below, under Measure plan first"));
  add(root ? tr("As the tip") : tr("As the root"), "asOther", 3, 1, [this] {
    const Sections& both = document.design().at(standpoint.panel()).sections;
    const SectionChoice other = root ? both.tip : both.root;
    edit(tr("Section as the other end"), [&](SectionChoice& c) { c = other; });
  });
  grid->addWidget(new QLabel(tr("Lay over it NACA"), this), 4, 0);
  auto* compare = new DecisionEdit(this);
  compare->setObjectName("compareWith");
  compare->setAccessibleName(tr("NACA section to lay over"));
  compare->show(standpoint.compareWith());
  compare->setPlaceholderText(tr("none"));
  connect(compare, &DecisionEdit::committed, this, [this, compare](const QString& text) {
    const auto naca = readNaca(text.toStdString());
    if (text.trimmed().isEmpty())
      standpoint.setCompareWith({});
    else if (naca)
      standpoint.setCompareWith(QString::fromStdString(naca.value().digits));
    else
      compare->setToolTip(QString::fromStdString(naca.problem().cause));
    compare->show(standpoint.compareWith());
  });
  grid->addWidget(compare, 4, 1);
  add(
      tr("Write this section…"), "writeSection", 5, 0, [this, end] { Q_EMIT writeSection(end); }, 2)
      ->setToolTip(tr("Full size with gauges for the nose (PDF, SVG, DXF), or coordinates in either layout"));
}

void SectionTools::edit(const QString& name, const std::function<void(SectionChoice&)>& change) {
  Design next = document.design();
  Sections& sections = next.at(standpoint.panel()).sections;
  change(root ? sections.root : sections.tip);
  document.edit(name, std::move(next));
}

void SectionTools::traceFromPlan() {
  auto traced = tracedFromPlan(document.design().plan, document.plan().sheets, root ? 1 : 2);
  if (!traced) return;
  edit(tr("Trace from the plan"), [&](SectionChoice& c) {
    traced->tolerance = c.traced.tolerance;
    c.kind = SectionKind::traced;
    c.traced = std::move(*traced);
  });
}

namespace {

/// The chosen section, drawn to the width there is.
class Preview : public QWidget {
public:
  using QWidget::QWidget;
  Section section;

protected:
  void paintEvent(QPaintEvent*) override {
    QPainter p(this);
    p.setRenderHint(QPainter::Antialiasing);
    if (section.upper.empty()) return;
    QPolygonF loop;
    const double scale = width() - 20.0;
    for (const Point& q : outlineOf(section)) loop << QPointF(10 + q.x() * scale, height() / 2.0 + 8 - q.y() * scale);
    p.setPen(QPen(palette().color(QPalette::WindowText), 1.2));
    p.setBrush(QColor("#f0dcae"));
    p.drawPolygon(loop);
  }
};

} // namespace

CatalogueDialog::CatalogueDialog(QWidget* parent) : QDialog(parent) {
  setWindowTitle(tr("Catalogue of sections"));
  resize(620, 560);
  auto* grid = new QGridLayout(this);
  const auto edit = [&](const char* name, const QString& label, const QString& hint) {
    auto* e = new QLineEdit(this);
    e->setObjectName(name);
    e->setAccessibleName(label);
    e->setPlaceholderText(hint);
    connect(e, &QLineEdit::textChanged, this, &CatalogueDialog::refresh);
    return e;
  };
  grid->addWidget(new QLabel(tr("Name holds"), this), 0, 0);
  grid->addWidget(wordsEdit = edit("catalogueWords", tr("Words of the name"), tr("NACA 24, flat, plate …")), 0, 1, 1,
                  3);
  grid->addWidget(new QLabel(tr("Thickness, % chord"), this), 1, 0);
  grid->addWidget(thickFrom = edit("thicknessFrom", tr("Thickness from, percent"), tr("from")), 1, 1);
  grid->addWidget(thickTo = edit("thicknessTo", tr("Thickness to, percent"), tr("to")), 1, 2);
  grid->addWidget(new QLabel(tr("Camber, % chord"), this), 2, 0);
  grid->addWidget(camberFrom = edit("camberFrom", tr("Camber from, percent"), tr("from")), 2, 1);
  grid->addWidget(camberTo = edit("camberTo", tr("Camber to, percent"), tr("to")), 2, 2);
  grid->addWidget(flat = new QCheckBox(tr("flat underside"), this), 2, 3);
  flat->setObjectName("flatUnderside");
  connect(flat, &QCheckBox::toggled, this, &CatalogueDialog::refresh);
  table = new QTableWidget(0, 4, this);
  table->setObjectName("catalogueTable");
  table->setHorizontalHeaderLabels({tr("section"), tr("thickness"), tr("camber"), tr("flat below")});
  table->verticalHeader()->hide();
  table->verticalHeader()->setDefaultSectionSize(22);
  table->horizontalHeader()->setSectionResizeMode(0, QHeaderView::Stretch);
  table->setSelectionBehavior(QAbstractItemView::SelectRows);
  table->setSelectionMode(QAbstractItemView::SingleSelection);
  table->setEditTriggers(QAbstractItemView::NoEditTriggers);
  grid->addWidget(table, 3, 0, 1, 4);
  auto* drawn = new Preview(this);
  drawn->setFixedHeight(110);
  preview = drawn;
  grid->addWidget(drawn, 4, 0, 1, 4);
  auto* source = new QLabel(this);
  source->setObjectName("small");
  grid->addWidget(source, 5, 0, 1, 4);
  auto* buttons = new QDialogButtonBox(this);
  auto* use = buttons->addButton(tr("Use it"), QDialogButtonBox::AcceptRole);
  use->setObjectName("useSection");
  buttons->addButton(QDialogButtonBox::Cancel);
  connect(buttons, &QDialogButtonBox::accepted, this, &QDialog::accept);
  connect(buttons, &QDialogButtonBox::rejected, this, &QDialog::reject);
  connect(table, &QTableWidget::itemDoubleClicked, this, &QDialog::accept);
  grid->addWidget(buttons, 6, 0, 1, 4);
  connect(table, &QTableWidget::itemSelectionChanged, this, [this, drawn, source, use] {
    use->setEnabled(chosen() != nullptr);
    drawn->section = chosen() ? sectionOf(chosen()->choice) : Section{};
    source->setText(
        chosen() ? tr("%1 · %2").arg(QString::fromStdString(chosen()->family), QString::fromStdString(chosen()->source))
                 : QString());
    drawn->update();
  });
  refresh();
}

double CatalogueDialog::percent(const QLineEdit* edit, double otherwise) const {
  const auto number = parseNumber(edit->text().toStdString());
  return number ? number.value() / 100 : otherwise;
}

void CatalogueDialog::refresh() {
  CatalogueQuery q;
  q.words = wordsEdit->text().toStdString();
  q.thicknessFrom = percent(thickFrom, 0), q.thicknessTo = percent(thickTo, 1);
  q.camberFrom = percent(camberFrom, -1), q.camberTo = percent(camberTo, 1);
  q.flatUnderside = flat->isChecked();
  found = search(q);
  table->setRowCount(static_cast<int>(found.size()));
  for (int i = 0; i < table->rowCount(); ++i) {
    const CatalogueEntry& e = *found[static_cast<std::size_t>(i)];
    const SectionMeasures& m = e.measures;
    const QString cells[] = {QString::fromStdString(e.name), tr("%1 %").arg(m.thickness * 100, 0, 'f', 1),
                             tr("%1 %").arg(m.camber * 100, 0, 'f', 1),
                             tr("%1 %").arg((m.flatTo - m.flatFrom) * 100, 0, 'f', 0)};
    for (int k = 0; k < 4; ++k) {
      auto* item = new QTableWidgetItem(cells[k]);
      if (k > 0) item->setTextAlignment(Qt::AlignRight | Qt::AlignVCenter);
      table->setItem(i, k, item);
    }
  }
  if (!found.empty()) table->selectRow(0);
}

const CatalogueEntry* CatalogueDialog::chosen() const {
  const int row = table->currentRow();
  return row >= 0 && row < static_cast<int>(found.size()) ? found[static_cast<std::size_t>(row)] : nullptr;
}

} // namespace eup::app
