#include "app/dialogs/kept_dialog.h"
#include <QDialogButtonBox>
#include <QFileInfo>
#include <QLabel>
#include <QListWidget>
#include <QPushButton>
#include <QVBoxLayout>

namespace eup::app {

KeptDialog::KeptDialog(const KeptStates& states, QWidget* parent) : QDialog(parent), kept(states) {
  setWindowTitle(tr("States that were kept"));
  resize(620, 320);
  auto* column = new QVBoxLayout(this);
  auto* words =
      new QLabel(tr("What was not saved when a program ended. Each stays here until you take it back or throw "
                    "it away."),
                 this);
  words->setWordWrap(true);
  column->addWidget(words);
  list = new QListWidget(this);
  list->setObjectName("keptStates");
  list->setWordWrap(true);
  list->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
  list->setAccessibleName(tr("States that were kept, the newest first"));
  column->addWidget(list, 1);
  auto* buttons = new QDialogButtonBox(QDialogButtonBox::Close, this);
  take = buttons->addButton(tr("Take it back"), QDialogButtonBox::ActionRole);
  take->setObjectName("takeKept");
  drop = buttons->addButton(tr("Throw it away"), QDialogButtonBox::DestructiveRole);
  drop->setObjectName("dropKept");
  column->addWidget(buttons);
  connect(buttons, &QDialogButtonBox::rejected, this, &QDialog::reject);
  connect(take, &QPushButton::clicked, this, [this] {
    chosen = all.at(static_cast<std::size_t>(list->currentRow()));
    accept();
  });
  connect(drop, &QPushButton::clicked, this, [this] {
    KeptStates::throwAway(all.at(static_cast<std::size_t>(list->currentRow())));
    fill();
  });
  connect(list, &QListWidget::currentRowChanged, this, [this](int row) {
    drop->setEnabled(row >= 0);
    take->setEnabled(row >= 0 && all.at(static_cast<std::size_t>(row)).trouble.isEmpty());
  });
  fill();
}

void KeptDialog::fill() {
  all = kept.all();
  list->clear();
  for (const KeptState& s : all) {
    const QString what = s.trouble.isEmpty() ? s.name : tr("cannot be read: %1").arg(s.trouble);
    const QString of = s.file.isEmpty() ? tr("never saved") : QFileInfo(s.file).fileName();
    list->addItem(tr("%1 · %2 · %3").arg(s.when.toString("yyyy-MM-dd HH:mm"), of, what));
    list->item(list->count() - 1)->setToolTip(s.file.isEmpty() ? s.path : s.file);
  }
  take->setEnabled(false);
  drop->setEnabled(false);
  if (!all.empty()) list->setCurrentRow(0);
}

} // namespace eup::app
