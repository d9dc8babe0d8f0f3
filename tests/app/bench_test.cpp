// Build and check in the window: steps are begun and done, readings recorded, parts ticked, the log taken away; no undo
// takes any of it back.
#include "app/bench/bench_log.h"
#include "app/bench/bench_panel.h"
#include "app/bench/bench_parts.h"
#include "app/bench/bench_readings.h"
#include "app/bench/bench_steps.h"
#include "app/bench/bench_view.h"
#include "app/dialogs/mix_dialog.h"
#include "core/steps/steps.h"
#include "driver.h"

namespace eup::app::test {
namespace {

class BuildStage : public WindowTest {
protected:
  BuildStage() {
    Design bare = design();
    bare.records = {};
    window->document().replace(std::move(bare), {}, false);
    window->document().setClock([this] { return clock; });
    stage(11);
  }
  Moment clock{{2026, 11, 30}, 18 * 60}; ///< a Monday evening
  BenchPanel& bench() { return window->bench(); }
  const Records& records() const { return design().records; }
  void page(BenchPanel::Page to) {
    bench().turnTo(to);
    QApplication::processEvents();
  }
  void choose(const char* key) {
    find<QComboBox>("stepsShown")->setCurrentIndex(1);
    Q_EMIT find<QComboBox>("stepsShown")->activated(1);
    bench().steps().choose(key);
    ASSERT_EQ(bench().steps().chosen(), key);
  }
  void readAt(int rib, const char* value) {
    window->standpoint().setRib(rib);
    find<QLineEdit>("readValue")->setText(value);
    press("readTake");
  }
  QString logged() const {
    return records().log.empty() ? QString() : QString::fromStdString(records().log.back().text);
  }
};

TEST_F(BuildStage, IsDrawnAndListsWhatCanBeDone) {
  EXPECT_EQ(window->standpoint().stage(), Stage::build);
  EXPECT_TRUE(isDrawn(*board()));
  auto* tree = find<QTreeWidget>("steps");
  EXPECT_GE(tree->topLevelItemCount(), 4); // both halves' ribs and strips
  EXPECT_TRUE(find<QLabel>("benchEnds")->text().contains("ready"));
  QTest::keyClick(window.get(), Qt::Key_1, Qt::ControlModifier);
  QTest::keyClick(window.get(), Qt::Key_B, Qt::ControlModifier);
  EXPECT_EQ(window->standpoint().stage(), Stage::build);
}

TEST_F(BuildStage, DoneStaysDoneWhateverIsUndone) {
  window->document().edit("Longer", [&] {
    Design next = design();
    next.flying.mass += 10;
    return next;
  }());
  choose("1.1.right.cutRibs");
  press("stepBegin");
  clock.minute += 40;
  press("stepDone");
  ASSERT_EQ(records().steps.size(), 1U);
  EXPECT_EQ(records().steps[0].begun, "2026-11-30 18:00");
  EXPECT_EQ(records().steps[0].done, "2026-11-30 18:40");
  EXPECT_NEAR(records().steps[0].minutes, 40, 1e-9);
  EXPECT_EQ(records().log.size(), 2U);
  window->document().undo();
  EXPECT_EQ(records().steps.size(), 1U) << "no undo takes it back";
  EXPECT_NEAR(design().flying.mass, window->document().wing().design.flying.mass, 1e-12);
  window->document().redo();
  EXPECT_EQ(records().steps.size(), 1U);
  find<QLineEdit>("lookedBy")->setText("the neighbour");
  choose("1.1.right.cutRibs");
  press("stepLooked");
  EXPECT_TRUE(records().steps[0].looked);
  EXPECT_EQ(records().steps[0].lookedBy, "the neighbour");
  choose("1.1.right.cutRibs");
  press("stepBack");
  EXPECT_TRUE(records().steps.empty());
  EXPECT_TRUE(logged().startsWith("Not done after all"));
}

// An edit made from what a dialog held since before keeps what was recorded meanwhile.
TEST_F(BuildStage, EditsOfOldDesignsKeepRecords) {
  Design old = design();
  choose("1.1.right.cutRibs");
  press("stepDone");
  old.inner().trailingEdge.width += 2;
  QStringList said;
  QObject::connect(&window->document(), &Document::touched, window.get(), [&](const QString& what) { said << what; });
  EXPECT_TRUE(window->document().edit("Wider edge", std::move(old)));
  EXPECT_EQ(records().steps.size(), 1U);
  ASSERT_EQ(said.size(), 1);
  EXPECT_TRUE(said[0].contains("Cut the ribs")) << said[0].toStdString();
  EXPECT_EQ(records().log.back().kind, LogKind::changed);
}

TEST_F(BuildStage, CuresAreToldWhenTheyAreOver) {
  QStringList cured;
  QObject::connect(&bench().clock(), &BenchClock::cured, window.get(), [&](const QString& what) { cured << what; });
  for (const char* key :
       {"1.1.right.plan", "1.1.right.cutRibs", "1.1.right.strips", "1.1.right.lower", "1.1.right.ribsOn"})
    bench().clock().finish(key);
  choose("1.1.right.ribsOn");
  EXPECT_TRUE(find<QTreeWidget>("steps")->currentItem()->text(2).startsWith("cures"));
  bench().clock().look();
  EXPECT_TRUE(cured.isEmpty());
  clock.minute += 90;
  bench().clock().look();
  ASSERT_EQ(cured.size(), 1);
  EXPECT_TRUE(cured[0].contains("Glue the ribs"));
  EXPECT_TRUE(window->message().contains("Cured"));
}

TEST_F(BuildStage, OwnStepsAreAddedLeftOutAndUndone) {
  choose("1.1.right.off");
  const auto before = bench().clock().steps().size();
  press("stepOwn");
  EXPECT_EQ(bench().clock().steps().size(), before + 1);
  EXPECT_EQ(window->standpoint().subject().topic, Topic::benchStep);
  type("bench.own.0.name", "photograph it");
  EXPECT_EQ(design().bench.own[0].name, "photograph it");
  EXPECT_EQ(design().bench.own[0].after, "1.1.right.off");
  Design each = design();
  each.bench.own[0].eachHand = true;
  ASSERT_TRUE(window->document().edit("For either hand", std::move(each)));
  EXPECT_EQ(bench().clock().steps().size(), before + 2) << "one for the left hand too";
  choose("own.1.other");
  press("stepOut");
  EXPECT_FALSE(design().bench.own.at(0).eachHand);
  choose("own.1");
  press("stepOut");
  EXPECT_TRUE(design().bench.own.empty());
  choose("1.1.right.off");
  press("stepOut");
  EXPECT_EQ(bench().clock().steps().size(), before - 1);
  window->document().undo();
  EXPECT_EQ(bench().clock().steps().size(), before);
}

TEST_F(BuildStage, AStepIsMadeToWait) {
  choose("1.1.left.cutRibs");
  press("stepWait");
  auto* menu = window->findChild<QMenu*>("waitMenu");
  ASSERT_NE(menu, nullptr);
  for (QAction* a : menu->actions())
    if (a->data().toString() == "1.1.right.off") a->trigger();
  menu->close();
  ASSERT_EQ(design().bench.needs.size(), 1U);
  const auto& needs = bench().clock().step("1.1.left.cutRibs")->needs;
  EXPECT_NE(std::find(needs.begin(), needs.end(), "1.1.right.off"), needs.end());
}

TEST_F(BuildStage, HoursAndHandsMoveTheEnd) {
  part("bench.0");
  const auto end = [&] { return bench().clock().now()->schedule.end; };
  const double one = end();
  type("bench.hands", "2");
  EXPECT_LT(end(), one);
  type("bench.celsius", "8");
  const double cold = end();
  type("bench.weekday", "0");
  type("bench.weekend", "60");
  EXPECT_GT(end(), cold);
  type("bench.weekend", "0");
  EXPECT_EQ(bench().clock().now(), nullptr);
  EXPECT_TRUE(find<QLabel>("benchEnds")->text().contains("Nobody"));
  window->document().undo();
  EXPECT_NE(bench().clock().now(), nullptr);
}

TEST_F(BuildStage, ReadingsAreRecordedAndSpeak) {
  page(BenchPanel::Page::readings);
  window->standpoint().setHand(ShownHand::left);
  for (const auto& [rib, value] :
       {std::pair(1, "0.5"), std::pair(5, "0,6"), std::pair(9, "0.4°"), std::pair(13, "0.5")})
    readAt(rib, value);
  ASSERT_EQ(records().readings.size(), 4U);
  EXPECT_EQ(records().readings[1].hand, Hand::left);
  EXPECT_EQ(records().readings[1].rib, 5);
  EXPECT_NEAR(records().readings[1].value, 0.6, 1e-12);
  EXPECT_EQ(records().readings[1].at, "2026-11-30 18:00");
  // The demo has washout; this half has none.
  EXPECT_NEAR(figure("built.twist.left"), 0, degToRad(0.3));
  EXPECT_TRUE(std::any_of(window->document().findings().begin(), window->document().findings().end(),
                          [](const Finding& f) { return f.key == "built.twist.little.left"; }));
  EXPECT_TRUE(isDrawn(*board()));
  find<QComboBox>("readKind")->setCurrentIndex(static_cast<int>(ReadKind::straightedge));
  Q_EMIT find<QComboBox>("readKind")->activated(static_cast<int>(ReadKind::straightedge));
  readAt(6, "1/32\"");
  EXPECT_NEAR(records().readings.back().value, 25.4 / 32, 1e-9);
  readAt(6, "-0.4");
  EXPECT_NEAR(records().readings.back().value, -0.4, 1e-9);
  readAt(6, "a lot");
  EXPECT_EQ(records().readings.size(), 6U);
  EXPECT_FALSE(find<QLabel>("readSays")->text().isEmpty());
  window->document().undo();
  EXPECT_EQ(records().readings.size(), 6U);
  auto* list = find<QTreeWidget>("readings");
  list->setCurrentItem(list->topLevelItem(0));
  press("readRemove");
  EXPECT_EQ(records().readings.size(), 5U);
  EXPECT_TRUE(logged().startsWith("Taken out"));
}

TEST_F(BuildStage, AnInstrumentIsReadLive) {
  page(BenchPanel::Page::readings);
  press("simulatedGauge");
  auto& port = bench().readings().instrument();
  ASSERT_TRUE(QTest::qWaitFor([&] { return port.status().mean.has_value(); }, 20000))
      << find<QLabel>("readLive")->text().toStdString();
  EXPECT_NEAR(*port.status().mean, -0.9, 0.15); // −1.2 and its own 0.3
  EXPECT_TRUE(find<QLabel>("readLive")->text().contains("gauge"));
  // Buttons follow what the port says a tenth of a second later.
  const auto enabled = [&](const char* name) {
    auto* button = window->findChild<QPushButton*>(name);
    return QTest::qWaitFor([button] { return button->isEnabled(); }, 10000);
  };
  ASSERT_TRUE(enabled("readHold"));
  press("readHold");
  ASSERT_TRUE(port.status().held);
  const double held = *port.status().mean;
  window->standpoint().setRib(4);
  press("readTake");
  ASSERT_EQ(records().readings.size(), 1U);
  EXPECT_NEAR(records().readings[0].value, held, 1e-9);
  EXPECT_EQ(records().readings[0].by, "gauge");
  press("readHold");
  ASSERT_FALSE(port.status().held);
  ASSERT_TRUE(enabled("readZero"));
  press("readZero");
  EXPECT_TRUE(QTest::qWaitFor([&] { return port.status().mean && std::abs(*port.status().mean) < 0.1; }, 10000));
  // A port that another has.
  InstrumentPort second;
  second.open(find<QComboBox>("readPort")->currentText());
  EXPECT_EQ(second.status().state, InstrumentState::lost);
  EXPECT_FALSE(second.status().said.empty());
  second.open("/no/such/port");
  EXPECT_EQ(second.status().state, InstrumentState::lost);
  // Grams are no degrees.
  press("simulatedScales");
  ASSERT_TRUE(QTest::qWaitFor([&] { return port.status().mean && port.status().unit == "g"; }, 20000));
  press("readTake");
  EXPECT_EQ(records().readings.size(), 1U);
  MixDialog mix(window->document(), window->standpoint(), port, window.get());
  mix.show();
  EXPECT_TRUE(
      QTest::qWaitFor([&] { return mix.findChild<QLabel*>("mixPoured")->text().contains("On the scales"); }, 3000));
}

TEST_F(BuildStage, PartsAreTickedRightAndLeftApart) {
  page(BenchPanel::Page::parts);
  auto* tree = find<QTreeWidget>("partTicks");
  ASSERT_GT(tree->topLevelItemCount(), 0);
  QTreeWidgetItem* row = tree->topLevelItem(0)->child(0);
  row->setCheckState(BenchParts::fittedRight, Qt::Checked);
  ASSERT_EQ(records().parts.size(), 1U);
  EXPECT_TRUE(records().parts[0].fitted && records().parts[0].cut && records().parts[0].counted);
  EXPECT_EQ(records().parts[0].hand, Hand::right);
  tree->setCurrentItem(tree->topLevelItem(0)->child(1));
  auto* missing = find<QSpinBox>("missingLeft");
  missing->setValue(3);
  Q_EMIT missing->editingFinished();
  auto* page_ = window->findChild<BenchParts*>();
  EXPECT_TRUE(page_->shortList().startsWith("3 × ")) << page_->shortList().toStdString();
  EXPECT_TRUE(page_->shortList().contains("left"));
  press("copyShort");
  EXPECT_EQ(QGuiApplication::clipboard()->text(), page_->shortList());
  tree->topLevelItem(0)->child(0)->setCheckState(BenchParts::fittedRight, Qt::Unchecked);
  EXPECT_FALSE(records().parts[0].fitted);
}

TEST_F(BuildStage, TheLogIsSearchedAndTakenAway) {
  choose("1.1.right.cutRibs");
  press("stepDone");
  page(BenchPanel::Page::log);
  find<QLineEdit>("logNote")->setText("R7 is of the lighter sheet");
  press("logWrite");
  EXPECT_EQ(records().log.back().step, "1.1.right.cutRibs");
  auto* list = find<QTreeWidget>("log");
  EXPECT_EQ(list->topLevelItemCount(), 2);
  find<QLineEdit>("logFind")->setText("LIGHTER");
  EXPECT_EQ(list->topLevelItemCount(), 1);
  find<QLineEdit>("logFind")->clear();
  const QTemporaryDir folder;
  EXPECT_FALSE(bench().log().hang(folder.filePath("none.png")).isEmpty()) << "not before it is saved";
  ASSERT_TRUE(window->saveTo(folder.filePath("wing.euptera")));
  QImage(40, 30, QImage::Format_RGB32).save(folder.filePath("shot.png"));
  EXPECT_FALSE(bench().log().hang(folder.filePath("wing.euptera")).isEmpty()) << "no picture";
  EXPECT_EQ(bench().log().hang(folder.filePath("shot.png")), QString());
  EXPECT_EQ(bench().log().hang(folder.filePath("shot.png")), QString());
  EXPECT_EQ(records().log.back().file, "wing-pictures/shot-2.png");
  EXPECT_TRUE(QFile::exists(folder.filePath("wing-pictures/shot.png")));
  for (const char* ending : {"pdf", "html", "csv", "json"}) {
    const QString path = folder.filePath(QString("log.") + ending);
    EXPECT_EQ(bench().log().writeTo(path), QString());
    EXPECT_GT(QFileInfo(path).size(), 100);
  }
  EXPECT_FALSE(bench().log().writeTo(folder.filePath("log.doc")).isEmpty());
  // All of it comes back with the file.
  ASSERT_TRUE(window->saveTo(folder.filePath("wing.euptera")));
  const Records now = records();
  ASSERT_TRUE(window->openFile(folder.filePath("wing.euptera")));
  EXPECT_TRUE(records() == now);
}

TEST_F(BuildStage, TheCalendarIsTakenAway) {
  const QTemporaryDir folder;
  bench().clock().finish("1.1.right.cutRibs");
  EXPECT_EQ(bench().steps().writeCalendar(folder.filePath("bench.ics")), QString());
  QFile file(folder.filePath("bench.ics"));
  ASSERT_TRUE(file.open(QIODevice::ReadOnly));
  QByteArray text = file.readAll();
  EXPECT_TRUE(text.startsWith("BEGIN:VCALENDAR\r\n"));
  text.replace("\r\n ", "");
  EXPECT_FALSE(text.contains(": Cut the ribs (right hand)")) << "it is done";
  EXPECT_TRUE(text.contains("DTSTART:20261130T180000"));
  EXPECT_FALSE(bench().steps().writeCalendar(folder.filePath("none/bench.ics")).isEmpty());
}

TEST_F(BuildStage, LargeLettersAreWorkedWithOneKey) {
  bench().openView();
  auto* view = window->findChild<BenchView*>();
  ASSERT_NE(view, nullptr);
  const std::string first = view->shown();
  ASSERT_FALSE(first.empty());
  EXPECT_TRUE(isDrawn(*view));
  EXPECT_GE(view->findChild<QLabel*>("viewWhat")->font().pixelSize(), 60);
  QTest::keyClick(view, Qt::Key_Space);
  EXPECT_FALSE(records().steps.back().begun.empty());
  clock.minute += 12;
  QTest::keyClick(view, Qt::Key_Space);
  EXPECT_EQ(records().steps.back().done, "2026-11-30 18:12");
  EXPECT_NE(view->shown(), first);
  const std::string second = view->shown();
  QTest::keyClick(view, Qt::Key_N);
  EXPECT_NE(view->shown(), second);
  view->close();
}

TEST_F(BuildStage, EverythingDoneListsWhatIsOpen) {
  bench().clock().finish("1.1.right.cutRibs");
  const QString open = bench().everythingDone();
  EXPECT_TRUE(open.contains("Gates that nobody looked at"));
  EXPECT_TRUE(open.contains("Cut the ribs (right hand)"));
  EXPECT_TRUE(open.contains("Never read"));
  EXPECT_TRUE(open.contains("Pieces not ticked as fitted"));
}

TEST_F(BuildStage, MixesResin) {
  MixDialog mix(window->document(), window->standpoint(), bench().readings().instrument(), window.get());
  mix.show();
  mix.findChild<QDoubleSpinBox*>("mixArea")->setValue(40);
  mix.findChild<QDoubleSpinBox*>("mixCloth")->setValue(50);
  mix.findChild<QDoubleSpinBox*>("mixRatio")->setValue(5);
  EXPECT_NEAR(mix.mixture().grams, 40e4 * 1e-6 * 50 * 1.15, 1e-9);
  EXPECT_TRUE(mix.findChild<QLabel*>("mixTold")->text().contains("23.0 g in all"));
  EXPECT_TRUE(isDrawn(mix));
}

} // namespace
} // namespace eup::app::test
