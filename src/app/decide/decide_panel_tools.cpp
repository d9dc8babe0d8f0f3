// Buttons under the decisions: wings, panels and spars that are added, taken out, copied; ways to stiffen.
#include "app/decide/decide_panel.h"
#include "app/dialogs/size_dialog.h"
#include "app/dialogs/stiffen_dialog.h"
#include "app/dialogs/swap_dialog.h"
#include "app/dialogs/test_cut_dialog.h"
#include "core/edit/panel_edit.h"
#include "core/edit/take_out.h"
#include "core/edit/wing_edit.h"
#include <QCheckBox>
#include <QGridLayout>
#include <QLabel>
#include <QMenu>
#include <QPushButton>

namespace eup::app {

/// What changes which wings there are.
void DecidePanel::addWingTools(QGridLayout* under, int line) {
  auto* add = new QPushButton(tr("Add a wing"), form);
  add->setObjectName("addWing");
  auto* kinds = new QMenu(add); // a menu: nothing is added before one is chosen
  for (const WingKind kind : {WingKind::second, WingKind::tailplane, WingKind::canard, WingKind::fin}) {
    const std::string words(wingKindChoices[static_cast<std::size_t>(kind)].label);
    const QString name = QString::fromStdString(words);
    kinds->addAction(name, this, [this, kind, name] {
      const auto next = withWingAdded(document.design(), kind);
      if (!next) return Q_EMIT refused(QString::fromStdString(next.problem().cause));
      document.edit(tr("Add a %1").arg(name), next.value());
      standpoint.setWing(static_cast<int>(next.value().wings.size()) - 1);
    });
  }
  add->setMenu(kinds);
  under->addWidget(add, line, 0);
  auto* drop = new QPushButton(tr("Take it out"), form);
  drop->setObjectName("dropWing");
  drop->setEnabled(here().wing > 0);
  connect(drop, &QPushButton::clicked, this, [this] {
    const QString name = QString::fromStdString(wingHere().name);
    const auto next = withWingTakenOut(document.design(), here().wing);
    if (!next) return Q_EMIT refused(QString::fromStdString(next.problem().cause));
    document.edit(tr("Take out the %1").arg(name), next.value());
    standpoint.setWing(0);
  });
  under->addWidget(drop, line, 1, 1, 2);
}

/// Buttons that change which panels there are.
void DecidePanel::addPanelTools(QGridLayout* under, int line) {
  auto* grid = new QGridLayout; // of its own: its columns are not those of labels and fields
  grid->setSpacing(4);
  under->addLayout(grid, line, 0, 1, 3);
  const PanelId id = here();
  const int count = static_cast<int>(wingHere().panels.size());
  const auto add = [&](const QString& text, const char* name, int row, int at, int wide, bool on, auto make,
                       bool follow) {
    auto* b = new QPushButton(text, form);
    b->setObjectName(name);
    b->setEnabled(on);
    connect(b, &QPushButton::clicked, this, [this, text, make, follow] {
      const Result<Design> next = make(document.design());
      if (!next) return Q_EMIT refused(QString::fromStdString(next.problem().cause));
      document.edit(text, next.value());
      if (follow) standpoint.setPanel({here().wing, static_cast<int>(wingHere().panels.size()) - 1});
    });
    grid->addWidget(b, row, at, 1, wide);
  };
  int rib = 0;
  double t = 0;
  if (standpoint.canWork() && standpoint.shownRib().kind == RibKind::main)
    rib = standpoint.shownRib().number, t = standpoint.shownRib().t();
  const bool inside = rib > 0;
  add(
      tr("Add a panel"), "addPanel", 0, 0, 1, count < mostPanels,
      [id](const Design& d) { return withPanelAdded(d, id.wing); }, true);
  add(
      inside ? tr("Cut it at R%1").arg(rib) : tr("Cut it at a rib"), "splitPanel", 0, 1, 1,
      inside && count < mostPanels, [id, t](const Design& d) { return withPanelSplit(d, id, t); }, false);
  addCopyMenu(grid, id);
  if (count < 2) return;
  add(
      tr("Merge with the next"), "mergePanel", 1, 0, 1, id.panel + 1 < count,
      [id](const Design& d) { return withPanelsMerged(d, id); }, false);
  add(
      tr("Swap with the next"), "movePanel", 2, 0, 1, id.panel + 1 < count,
      [id](const Design& d) { return withPanelMovedOut(d, id); }, false);
  add(
      tr("Take it out"), "dropPanel", 1, 1, 1, true, [id](const Design& d) { return withPanelTakenOut(d, id); }, false);
}

/// Copies the panel to the end of this wing or of another.
void DecidePanel::addCopyMenu(QGridLayout* grid, PanelId id) {
  auto* copy = new QPushButton(tr("Copy it to"), form);
  copy->setObjectName("copyPanel");
  auto* wings = new QMenu(copy);
  const auto& all = document.design().wings;
  for (std::size_t i = 0; i < all.size(); ++i) {
    const QString name = QString::fromStdString(all[i].name);
    wings->addAction(tr("the end of the %1").arg(name), this, [this, id, i, name] {
      const auto next = withPanelCopied(document.design(), id, static_cast<int>(i));
      if (!next) return Q_EMIT refused(QString::fromStdString(next.problem().cause));
      document.edit(tr("Copy panel %1 to the %2").arg(id.panel + 1).arg(name), next.value());
      standpoint.setPanel({static_cast<int>(i), static_cast<int>(document.design().wings[i].panels.size()) - 1});
    });
  }
  copy->setMenu(wings);
  grid->addWidget(copy, 2, 1);
}

void DecidePanel::addSpar() {
  Design next = document.design();
  std::vector<Spar>& spars = next.at(here()).spars;
  if (static_cast<int>(spars.size()) >= mostSpars) return;
  Spar spar;
  if (!spars.empty()) { // a second one is a rear spar
    spar.name = spars.size() == 1 ? "rear spar" : "third spar";
    const double behind = std::min(0.9, std::max(spars.back().rootFraction, spars.back().tipFraction) + 0.2);
    spar.rootFraction = spar.tipFraction = std::max(behind, spars.size() == 1 ? 0.65 : 0.0);
    spar.top.width = spar.bottom.width = 4;
    spar.top.material = spar.bottom.material = "balsa-220";
  }
  spars.push_back(spar);
  const int added = static_cast<int>(spars.size()) - 1;
  document.edit(tr("Add a spar"), std::move(next));
  standpoint.choose({Topic::spar, added});
}

void DecidePanel::removeSpar() {
  const int index = standpoint.subject().number;
  const std::vector<Spar>& spars = document.design().at(here()).spars;
  if (index >= static_cast<int>(spars.size())) return;
  const QString name = QString::fromStdString(spars[static_cast<std::size_t>(index)].name);
  document.edit(tr("Take out the %1").arg(name), withSparTakenOut(document.design(), here(), index));
  if (index > 0) standpoint.choose({Topic::spar, index - 1});
}

/// The spar added, taken out, sized from stock, and its wood swapped.
void DecidePanel::addSparTools(QGridLayout* under, int line) {
  const std::vector<Spar>& spars = document.design().at(here()).spars;
  const Subject subject = standpoint.subject();
  const bool ofSpar = subject.topic == Topic::spar || isPartOfSpar(subject.topic);
  if (!ofSpar || subject.topic == Topic::spar) {
    auto* add = new QPushButton(tr("Add a spar"), form);
    add->setObjectName("addSpar");
    add->setEnabled(static_cast<int>(spars.size()) < mostSpars);
    connect(add, &QPushButton::clicked, this, &DecidePanel::addSpar);
    under->addWidget(add, line, 0);
  }
  if (!ofSpar) return;
  if (subject.topic == Topic::spar) {
    auto* remove = new QPushButton(tr("Take it out"), form);
    remove->setObjectName("removeSpar");
    connect(remove, &QPushButton::clicked, this, &DecidePanel::removeSpar);
    under->addWidget(remove, line++, 1, 1, 2);
  }
  const int index = subject.number;
  if (index >= static_cast<int>(spars.size())) return;
  const auto& given = spars[static_cast<std::size_t>(index)];
  const QString name = QString::fromStdString(given.name);
  const auto put = [this, index](const QString& words, const Spar& spar) {
    Design next = document.design();
    next.at(here()).spars[static_cast<std::size_t>(index)] = spar;
    document.edit(words, std::move(next));
  };
  // Both work on the wing as it is: there must be one of these decisions.
  const bool any =
      (given.kind == SparKind::fullDepth || given.top.fitted || given.bottom.fitted) && document.possible();
  auto* size = new QPushButton(tr("Size it…"), form);
  size->setObjectName("sizeSpar");
  size->setEnabled(any);
  connect(size, &QPushButton::clicked, this, [this, index, name, put] {
    SizeDialog dialog(document.now(), here(), index, window());
    if (dialog.exec() == QDialog::Accepted && dialog.chosen()) put(tr("Size the %1").arg(name), dialog.chosen()->spar);
  });
  under->addWidget(size, line, 0);
  auto* swap = new QPushButton(tr("Swap its wood…"), form);
  swap->setObjectName("swapWood");
  swap->setEnabled(any && given.kind == SparKind::caps);
  connect(swap, &QPushButton::clicked, this, [this, index, name, put] {
    SwapDialog dialog(document.now(), here(), index, window());
    if (dialog.exec() == QDialog::Accepted && dialog.chosen())
      put(tr("Swap the wood of the %1").arg(name), *dialog.chosen());
  });
  under->addWidget(swap, line, 1, 1, 2);
  addTablesTool(under, line + 1, tr("Materials…"), Shelf::material);
}

void DecidePanel::addEditTool(QGridLayout* under, int line, int cell, const QString& words, const char* name,
                              bool enabled, Edit edit) {
  auto* button = new QPushButton(words, form);
  button->setObjectName(name);
  button->setEnabled(enabled);
  connect(button, &QPushButton::clicked, this, [this, edit = std::move(edit)] {
    Design next = document.design();
    Subject then = standpoint.subject();
    const QString done = edit(next, then);
    if (done.isEmpty()) return;
    document.edit(done, std::move(next));
    standpoint.choose(then);
  });
  under->addWidget(button, line, cell, 1, cell + 1);
}

namespace {

template <class T> bool roomIn(const std::vector<T>& all, int most) {
  return static_cast<int>(all.size()) < most;
}

/// The one of that number taken out; what is chosen then: the one before it, or `none` when it was the last.
template <class T> std::optional<T> takenOut(std::vector<T>& all, Subject& then, Topic none) {
  const int index = then.number;
  if (index < 0 || index >= static_cast<int>(all.size())) return std::nullopt;
  std::optional<T> gone = std::move(all[static_cast<std::size_t>(index)]);
  all.erase(all.begin() + index);
  then = all.empty() ? Subject{none, 0} : Subject{then.topic, std::max(index - 1, 0)};
  return gone;
}

template <class T> void putIn(std::vector<T>& all, T one, Topic topic, Subject& then) {
  all.push_back(std::move(one));
  then = {topic, static_cast<int>(all.size()) - 1};
}

} // namespace

/// Braces added and taken out. A new one is as the last: it is most often on the next spar.
void DecidePanel::addBraceTools(QGridLayout* under, int line) {
  if (document.design().at(here()).built != Built::ribs) return; // bevelled ends, glued in a cradle
  const std::vector<Bracing>& braces = document.design().at(here()).join.braces;
  addEditTool(under, line, 0, braces.empty() ? tr("Add a brace") : tr("Add one more brace"), "addBrace",
              roomIn(braces, mostBraces), [this](Design& next, Subject& then) {
                PanelDesign& panel = next.at(here());
                Bracing brace = panel.join.braces.empty() ? Bracing{} : panel.join.braces.back();
                if (!panel.join.braces.empty())
                  brace.spar = std::min(brace.spar + 1, std::max(1, static_cast<int>(panel.spars.size())));
                putIn(panel.join.braces, std::move(brace), Topic::brace, then);
                return tr("Add a brace");
              });
  if (standpoint.subject().topic != Topic::brace) return;
  addEditTool(under, line, 1, tr("Take it out"), "removeBrace", true, [this](Design& next, Subject& then) {
    const QString name = QString::fromStdString(braceName(then.number));
    return takenOut(next.at(here()).join.braces, then, Topic::join) ? tr("Take out the %1").arg(name) : QString();
  });
}

/// Struts and wires of the wing, added and taken out. A new one starts like the last, a little farther aft.
void DecidePanel::addStrutTools(QGridLayout* under, int line) {
  const auto& struts = wingHere().struts;
  const auto wingIn = [this](Design& next) -> Wing& { return next.wings[static_cast<std::size_t>(here().wing)]; };
  addEditTool(under, line, 0, struts.empty() ? tr("Add a strut or wire") : tr("Add one more"), "addStrut",
              roomIn(struts, mostStruts), [wingIn](Design& next, Subject& then) {
                Wing& wing = wingIn(next);
                Strut strut;
                if (wing.struts.empty()) { // half way out on the first spar, its foot below
                  strut.out = std::round(wing.panels.front().panel.span / 2);
                  strut.footAft = std::round(wing.panels.front().panel.rootChord * 0.3);
                  if (wing.panels.front().built != Built::ribs) strut.on = StrutOn::rib; // it has no spar
                } else {
                  strut = wing.struts.back();
                  strut.name = tr("strut %1").arg(wing.struts.size() + 1).toStdString();
                  strut.footAft += 40;
                }
                putIn(wing.struts, std::move(strut), Topic::strut, then);
                return tr("Add a strut");
              });
  if (struts.empty()) return;
  addEditTool(under, line, 1, tr("Take it out"), "removeStrut", true, [wingIn](Design& next, Subject& then) {
    const auto gone = takenOut(wingIn(next).struts, then, Topic::strut);
    return gone ? tr("Take the %1 out").arg(QString::fromStdString(gone->name)) : QString();
  });
}

/// Runs of bays that are sheeted all over, added and taken out.
void DecidePanel::addSheetTools(QGridLayout* under, int line) {
  const bool ribs = document.design().at(here()).built == Built::ribs; // foam is skinned all over
  const auto& sheeted = document.design().at(here()).sheeted;
  addEditTool(under, line, 0, sheeted.empty() ? tr("Sheet some bays") : tr("Sheet more bays"), "addSheeted",
              ribs && roomIn(sheeted, mostSheetedBays), [this](Design& next, Subject& then) {
                PanelDesign& panel = next.at(here());
                SheetedBays bays;
                static_cast<SkinSheet&>(bays) = panel.sheeting;
                bays.joints.clear();
                if (!panel.sheeted.empty()) { // on from the last
                  bays = panel.sheeted.back();
                  bays.fromRib = std::min(bays.toRib, mostRibs - 1), bays.toRib = bays.fromRib + 1;
                }
                putIn(panel.sheeted, std::move(bays), Topic::sheeted, then);
                return tr("Sheet bays");
              });
  const Sheeting& nose = document.design().at(here()).sheeting;
  if (standpoint.subject().topic == Topic::sheeting && nose.top && nose.bottom && !nose.ownBelow)
    addEditTool(under, line, 1, tr("Another below"), "ownBelow", true, [this](Design& next, Subject& then) {
      Sheeting& sheet = next.at(here()).sheeting;
      sheet.ownBelow = true, sheet.below = sheet; // as on top, to begin with
      then = {Topic::sheetingBelow, 0};
      return tr("Decide the sheet below by itself");
    });
  if (standpoint.subject().topic == Topic::sheetingBelow)
    addEditTool(under, line, 1, tr("As on top again"), "belowAsTop", true, [this](Design& next, Subject& then) {
      next.at(here()).sheeting.ownBelow = false;
      then = {Topic::sheeting, 0};
      return tr("Sheet below as on top");
    });
  if (standpoint.subject().topic != Topic::sheeted) return;
  addEditTool(under, line, 1, tr("Take it off"), "removeSheeted", true, [this](Design& next, Subject& then) {
    return takenOut(next.at(here()).sheeted, then, Topic::sheeting) ? tr("Take the sheet off") : QString();
  });
}

/// The slot from strips that were cut for a test.
void DecidePanel::addTestCutTool(QGridLayout* under, int line) {
  auto* button = new QPushButton(tr("From a test cut…"), form);
  button->setObjectName("testCut");
  connect(button, &QPushButton::clicked, this, [this] {
    TestCutDialog dialog(document.design().unit, window());
    if (dialog.exec() != QDialog::Accepted || !dialog.found()) return;
    Design next = document.design();
    next.wire.kerf = dialog.found()->slot, next.wire.kerfSpeed = dialog.found()->speed;
    if (dialog.found()->power) next.wire.kerfPower = *dialog.found()->power;
    document.edit(tr("Slot from a test cut"), std::move(next));
  });
  under->addWidget(button, line, 0, 1, 3, Qt::AlignLeft);
}

/// What lies in the foam beside caps: a new one of each kind begins as such a thing mostly is.
void DecidePanel::addCoreTools(QGridLayout* under, int line) {
  const auto& all = document.design().at(here()).inCore;
  auto* add = new QPushButton(all.empty() ? tr("Put something in") : tr("Put more in"), form);
  add->setObjectName("addInCore");
  add->setEnabled(document.design().at(here()).built == Built::foam && roomIn(all, mostInCore));
  auto* kinds = new QMenu(add);
  for (std::size_t i = 0; i < inCoreChoices.size(); ++i) {
    const QString label = QString::fromStdString(std::string(inCoreChoices[i].label));
    kinds->addAction(label, this, [this, kind = static_cast<InCore>(i), label] {
      Design next = document.design();
      Subject then = standpoint.subject();
      putIn(next.at(here()).inCore, newInCore(next.at(here()), kind), Topic::inCore, then);
      document.edit(tr("Put a %1 into the core").arg(label), std::move(next));
      standpoint.choose(then);
    });
  }
  add->setMenu(kinds);
  under->addWidget(add, line, 0);
  if (all.empty()) return;
  addEditTool(under, line, 1, tr("Take it out"), "removeInCore", true, [this](Design& next, Subject& then) {
    const auto gone = takenOut(next.at(here()).inCore, then, Topic::inCore);
    return gone ? tr("Take the %1 out").arg(QString::fromStdString(gone->name)) : QString();
  });
}

/// A button with a kind each of what can be put in, and one that takes the chosen one out.
template <class Kinds, class List, class Make>
void DecidePanel::addKindTools(QGridLayout* under, int line, const Kinds& choices, List list, int most, Topic topic,
                               const QString& words, const char* name, Make make) {
  const auto& all = list(document.design().at(here()));
  auto* add = new QPushButton(words, form);
  add->setObjectName(QString("add") + name);
  add->setEnabled(roomIn(all, most));
  auto* kinds = new QMenu(add);
  for (std::size_t i = 0; i < choices.size(); ++i) {
    const QString label = QString::fromStdString(std::string(choices[i].label));
    kinds->addAction(label, this, [this, i, label, list, make, topic] {
      Design next = document.design();
      Subject then = standpoint.subject();
      putIn(list(next.at(here())), make(next.at(here()), i), topic, then);
      document.edit(tr("Put in: %1").arg(label), std::move(next));
      standpoint.choose(then);
    });
  }
  add->setMenu(kinds);
  under->addWidget(add, line, 0);
  if (all.empty()) return;
  addEditTool(under, line, 1, tr("Take it out"), ("remove" + std::string(name)).c_str(), true,
              [this, list, topic](Design& next, Subject& then) {
                const auto gone = takenOut(list(next.at(here())), then, topic);
                return gone ? tr("Take the %1 out").arg(QString::fromStdString(gone->name)) : QString();
              });
}

/// A surface on hinges of each kind begins as such a one mostly is.
void DecidePanel::addSurfaceTools(QGridLayout* under, int line) {
  addKindTools(
      under, line, surfaceKindChoices, [](auto& p) -> auto& { return p.surfaces; }, mostSurfaces, Topic::surface,
      document.design().at(here()).surfaces.empty() ? tr("Put a surface in") : tr("Put another in"), "Surface",
      [wing = wingHere().kind](const PanelDesign& p, std::size_t kind) {
        return newSurface(p, static_cast<SurfaceKind>(kind), wing);
      });
}

void DecidePanel::addRunTools(QGridLayout* under, int line) {
  addKindTools(
      under, line, runKindChoices, [](auto& p) -> auto& { return p.runs; }, mostRuns, Topic::run, tr("Lay one in"),
      "Run", [](const PanelDesign& p, std::size_t kind) { return newRun(p, static_cast<RunKind>(kind)); });
}

void DecidePanel::addHardPointTools(QGridLayout* under, int line) {
  addKindTools(
      under, line, hardPointKindChoices, [](auto& p) -> auto& { return p.hardPoints; }, mostHardPoints,
      Topic::hardPoint, tr("Put one in"), "HardPoint",
      [](const PanelDesign& p, std::size_t kind) { return newHardPoint(p, static_cast<HardPointKind>(kind)); });
}

/// What is looked at before the skins close the panel in: ticked here, and points of one's own.
void DecidePanel::addHoldTools(QGridLayout* under, int line) {
  const auto& own = document.design().at(here()).holds;
  if (document.possible())
    for (const Hold& hold : document.wing().at(here()).holds) {
      const QString words = QString::fromStdString(hold.what);
      auto* box = new QCheckBox(form); // its words may take several lines, which a check box's own can not
      auto* label = new QLabel(words, form);
      label->setWordWrap(true);
      label->setBuddy(box);
      box->setObjectName(QString::fromStdString("looked." + hold.key));
      box->setAccessibleName(words);
      box->setChecked(hold.looked);
      box->setToolTip(tr("Ticked when it was looked at; undo leaves it as it is"));
      connect(box, &QCheckBox::toggled, this, [this, key = hold.key](bool on) { document.setLooked(key, on); });
      auto* row = new QHBoxLayout;
      row->addWidget(box, 0, Qt::AlignTop);
      row->addWidget(label, 1);
      under->addLayout(row, line++, 0, 1, 3);
    }
  addEditTool(under, line, 0, tr("Add a point of your own"), "addHold", roomIn(own, mostHolds),
              [this](Design& next, Subject& then) {
                putIn(next.at(here()).holds, HoldPoint{}, Topic::holds, then);
                return tr("Add a point to look at");
              });
  if (own.empty()) return;
  addEditTool(under, line, 1, tr("Take it out"), "removeHold", true, [this](Design& next, Subject& then) {
    return takenOut(next.at(here()).holds, then, Topic::holds) ? tr("Take the point out") : QString();
  });
}

/// What the model carries, added and taken out.
void DecidePanel::addAboardTools(QGridLayout* under, int line) {
  addEditTool(under, line, 0, tr("Add something aboard"), "addAboard",
              roomIn(document.design().balance.aboard, mostAboard), [](Design& next, Subject& then) {
                std::vector<Aboard>& all = next.balance.aboard;
                Aboard one;
                if (!all.empty()) one.name = tr("item %1").arg(all.size() + 1).toStdString();
                putIn(all, std::move(one), Topic::aboard, then);
                return tr("Add something aboard");
              });
  if (standpoint.subject().topic != Topic::aboard) return;
  addEditTool(under, line, 1, tr("Take it out"), "removeAboard", true, [](Design& next, Subject& then) {
    const auto gone = takenOut(next.balance.aboard, then, Topic::balance);
    return gone ? tr("Take the %1 out").arg(QString::fromStdString(gone->name)) : QString();
  });
}

/// A button that asks the window for something of a panel built in such a way.
void DecidePanel::addAskingTool(QGridLayout* under, int line, const QString& words, const char* name, Built built,
                                void (DecidePanel::*ask)()) {
  auto* button = new QPushButton(words, form);
  button->setObjectName(name);
  button->setEnabled(document.possible() && document.design().at(here()).built == built);
  connect(button, &QPushButton::clicked, this, ask);
  under->addWidget(button, line, 0, 1, 3, Qt::AlignLeft);
}

/// Ways to stiffen the panel, tried side by side.
void DecidePanel::addStiffeningTools(QGridLayout* under, int line) {
  auto* tries = new QPushButton(tr("Try ways to stiffen…"), form);
  tries->setObjectName("tryStiffening");
  tries->setEnabled(document.possible());
  connect(tries, &QPushButton::clicked, this, [this] {
    StiffenDialog dialog(document.now(), here(), window());
    if (dialog.exec() != QDialog::Accepted || !dialog.chosen()) return;
    Design next = document.design();
    dialog.chosen()->change(next.at(here()));
    document.edit(tr("Stiffen: %1").arg(QString::fromStdString(dialog.chosen()->what)), std::move(next));
  });
  under->addWidget(tries, line, 1, 1, 2);
  addTablesTool(under, line, tr("Coverings…"), Shelf::covering);
}

/// Opens the table that is chosen from here.
void DecidePanel::addTablesTool(QGridLayout* under, int line, const QString& words, Shelf shelf) {
  auto* open = new QPushButton(words, form);
  open->setObjectName("openTables");
  connect(open, &QPushButton::clicked, this, [this, shelf] { Q_EMIT openTables(shelf); });
  under->addWidget(open, line, 0);
}

} // namespace eup::app
