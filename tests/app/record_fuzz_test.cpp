// What is recorded is there after any row of edits, undos, saves, kills and openings, at the same wood. A fixed number
// here; EUPTERA_FUZZ=20000 for more, EUPTERA_FUZZ_FROM another seed.
#include "../same_wood.h"
#include "app/bench/bench_panel.h"
#include "app/state/autosave.h"
#include "core/bench/recording.h"
#include "core/design/panel_rules.h"
#include "core/design/record_keys.h"
#include "driver.h"

namespace eup::app::test {
namespace {

using eup::test::Chance;

/// A program with a wing open, without its window.
struct Running {
  explicit Running(const QString& file) : autosave(document, state.path()) {
    EXPECT_TRUE(document.open(file).ok());
    autosave.setAside(file);
    for (const KeptState& kept : autosave.kept().all())
      if (auto read = KeptStates::read(kept)) {
        EXPECT_TRUE(document.takeBack("Take it back", std::move(read).value()));
        KeptStates::throwAway(kept);
      }
  }
  QTemporaryDir state;
  Document document;
  Autosave autosave;
};

/// All readings that were ever made, by the word that each bears, with the chord of the wood they are of.
using MadeReadings = std::map<std::string, double>;

void expectReadings(const Design& d, const MadeReadings& made) {
  for (const auto& [word, chord] : made) {
    int times = 0;
    for (const BenchReading& r : d.records.readings) {
      if (r.note != word) continue;
      ++times;
      const auto now = eup::test::chordAt(d, r.of(), r.rib); // none where its panel is gone
      EXPECT_NEAR(now.value_or(chord), chord, 0.1) << word;
    }
    EXPECT_EQ(times, 1) << word;
  }
}

std::pair<PanelNumber, int> anyRib(const Design& d, Chance& chance) {
  const Wing& wing = d.wings[static_cast<std::size_t>(chance.number(static_cast<int>(d.wings.size())))];
  const auto panel = static_cast<std::size_t>(chance.number(static_cast<int>(wing.panels.size())));
  int first = 1;
  for (std::size_t k = 0; k < panel; ++k)
    first += static_cast<int>(ribStations(wing.panels[k].ribs, wing.panels[k].panel.span).size());
  const PanelDesign& p = wing.panels[panel];
  return {{wing.number, p.number}, first + chance.number(static_cast<int>(ribStations(p.ribs, p.panel.span).size()))};
}

TEST(RecordsOfAProgram, OutliveWhateverIsDone) {
  const int from = eup::test::asked("EUPTERA_FUZZ_FROM", 1), to = from + eup::test::asked("EUPTERA_FUZZ", 12);
  for (int seed = from; seed < to; ++seed) {
    SCOPED_TRACE(seed);
    Chance chance(static_cast<unsigned>(seed));
    QTemporaryDir dir;
    const QString file = dir.filePath("wing.euptera");
    {
      Document first;
      first.replace(eup::test::woodenWing(), {}, false);
      ASSERT_TRUE(first.save(file).ok());
    }
    auto program = std::make_unique<Running>(file);
    MadeReadings made;
    for (int deed = 0; deed < 10; ++deed) {
      Document& document = program->document;
      switch (chance.number(7)) {
      case 0:
      case 1: {
        const auto [panel, rib] = anyRib(document.design(), chance);
        const std::string word = "the " + std::to_string(deed) + "th";
        made[word] = *eup::test::chordAt(document.design(), panel, rib);
        ASSERT_TRUE(document.record([&, panel = panel, rib = rib](Records& r) {
          r.readings.push_back({ReadKind::incidence, panel.wing, panel.panel, Hand::right, rib, 1, 0.1, {}, {}, word});
        }));
        break;
      }
      case 2:
      case 3:
        document.edit("Rearrange", eup::test::rearranged(document.design(), chance));
        break;
      case 4:
        chance.once(2) ? document.undo() : document.redo();
        break;
      case 5:
        ASSERT_TRUE(document.save(file).ok());
        program->autosave.forget();
        break;
      default: { // killed: nothing runs to its end but what was kept
        if (document.modified()) program->autosave.keep();
        auto again = std::make_unique<Running>(file);
        program = std::move(again);
      }
      }
      expectReadings(program->document.design(), made);
      if (testing::Test::HasFailure()) return;
    }
  }
}

class RecordsInTheWindow : public WindowTest {};

// The same through the window: recorded in its fields, at any stage, some of it typed and not entered when it is saved.
TEST_F(RecordsInTheWindow, OutliveWhateverIsDone) {
  QTemporaryDir dir;
  const QString file = dir.filePath("wing.euptera");
  for (int seed = 1; seed <= eup::test::asked("EUPTERA_FUZZ", 2); ++seed) {
    SCOPED_TRACE(seed);
    Chance chance(static_cast<unsigned>(seed));
    window->document().replace(eup::test::woodenWing(), {}, false);
    ASSERT_TRUE(window->saveTo(file));
    MadeReadings made;
    for (int deed = 0; deed < 12; ++deed) {
      switch (chance.number(6)) {
      case 0:
      case 1: {
        stage(11);
        window->bench().turnTo(BenchPanel::Page::readings);
        const auto [panel, rib] = anyRib(design(), chance);
        for (std::size_t w = 0; w < design().wings.size(); ++w)
          for (std::size_t k = 0; k < design().wings[w].panels.size(); ++k)
            if (design().wings[w].number == panel.wing && design().wings[w].panels[k].number == panel.panel)
              window->standpoint().setPanel({static_cast<int>(w), static_cast<int>(k)});
        window->standpoint().setRib(rib);
        const std::string word = "the " + std::to_string(deed) + "th";
        find<QLineEdit>("readValue")->setText("1.5");
        find<QLineEdit>("readNote")->setText(QString::fromStdString(word));
        press("readTake");
        made[word] = *eup::test::chordAt(design(), panel, rib);
        break;
      }
      case 2:
        window->document().edit("Rearrange", eup::test::rearranged(design(), chance));
        break;
      case 3:
        QTest::keyClick(window.get(), Qt::Key_Z,
                        chance.once(2) ? Qt::ControlModifier : Qt::ControlModifier | Qt::ShiftModifier);
        break;
      case 4: { // typed, not entered, and saved
        stage(3);
        auto* washout = find<QLineEdit>("panel.washout");
        ASSERT_NE(washout, nullptr);
        const double typed = 0.25 * (1 + chance.number(20));
        washout->setFocus(), washout->selectAll();
        QTest::keyClicks(washout, QString::number(typed));
        window->findChild<QAction*>("action save")->trigger();
        EXPECT_DOUBLE_EQ(design().at(window->standpoint().panel()).panel.washoutDeg, typed);
        EXPECT_FALSE(window->document().modified());
        break;
      }
      default: {
        stage(1 + chance.number(11));
        window->autosave().keep();
        QTemporaryDir other;
        MainWindow again(other.path());
        again.askBy(std::make_unique<Answers>());
        again.show();
        ASSERT_TRUE(again.openFile(file));
        if (auto* recover = again.findChild<QToolButton*>("recover"); recover && recover->isVisible())
          QTest::mouseClick(recover, Qt::LeftButton);
        expectReadings(again.document().design(), made);
      }
      }
      expectReadings(design(), made);
      if (testing::Test::HasFailure()) return;
    }
  }
}

} // namespace
} // namespace eup::app::test
