// The description of the work at the bench and of its records (see describe.h).
#include "core/described/describe.h"

namespace eup {

void describeBench(BenchPlan& b, Visitor& v) {
  v.group("bench", Topic::bench, [&] {
    v.day("first", "First day, 2026-12-01", b.first);
    v.number("weekday", "Minutes on a weekday", b.weekday, Limits{0, 1440, fewestMinutes});
    v.number("weekend", "Minutes at weekends", b.weekend, Limits{0, 1440, fewestMinutes});
    v.count("hour", "Begins at, o'clock", b.hour, Limits{0, 23});
    v.count("hands", "Pairs of hands", b.hands, Limits{1, 2});
    v.number("celsius", "In the room, °C", b.celsius, Limits{0, 45});
    v.choice("cover", "Covered", b.cover, std::span(coverWhenChoices));
    v.list("own", Topic::benchStep, b.own, mostOwnSteps, [&](auto& s, std::size_t) {
      v.text("name", "What is done", s.name);
      v.number("minutes", "Minutes of hands", s.minutes, Limits{1, 1440});
      v.number("cure", "Cures, hours", s.cure, Limits{0, 240});
      v.flag("eachHand", "Right and left by themselves", s.eachHand);
      v.text("with", "With", s.with);
      v.text("look", "To look at", s.look);
      v.count("number", "Its number", s.number, Limits{1, 1000000}, false);
      v.freeText("after", s.after);
      v.freeText("before", s.before);
    });
    v.hidden("order", [&] {
      v.list("needs", Topic::none, b.needs, mostOrderChanges, [&](auto& n, std::size_t) {
        v.freeText("step", n.step);
        v.freeText("needs", n.needs);
      });
      v.list("leftOut", Topic::none, b.leftOut, mostOrderChanges,
             [&](auto& l, std::size_t) { v.freeText("key", l.key); });
    });
  });
}

void describeRecords(Records& r, Visitor& v) {
  v.hidden("records", [&] {
    v.lasting("numbersGiven", r.numbersGiven);
    v.list("looked", Topic::none, r.looked, mostLooked, [&](auto& l, std::size_t) { v.freeText("key", l.key); });
    v.list("steps", Topic::none, r.steps, mostStepRecords, [&](auto& s, std::size_t) {
      v.freeText("key", s.key);
      v.text("begun", "Begun", s.begun);
      v.text("done", "Done", s.done);
      v.number("minutes", "Minutes", s.minutes, Limits{0, 100000});
      v.flag("looked", "Looked at", s.looked);
      v.text("lookedBy", "By", s.lookedBy);
    });
    v.list("readings", Topic::none, r.readings, mostBenchReadings, [&](auto& b, std::size_t) {
      v.choice("kind", "Kind", b.kind, std::span(readKindChoices));
      v.lasting("wing", b.wing);
      v.lasting("panel", b.panel);
      v.choice("hand", "Hand", b.hand, std::span(handChoices));
      v.count("rib", "Rib", b.rib, Limits{0, 100000});
      v.number("value", "Read", b.value, Limits{-100000, 100000});
      v.number("doubt", "Doubt", b.doubt, Limits{0, 10000});
      v.text("by", "By", b.by);
      v.text("at", "At", b.at);
      v.freeText("note", b.note);
    });
    v.list("parts", Topic::none, r.parts, mostPartTicks, [&](auto& p, std::size_t) {
      v.freeText("key", p.key);
      v.choice("hand", "Hand", p.hand, std::span(handChoices));
      v.flag("counted", "Counted", p.counted);
      v.flag("cut", "Cut", p.cut);
      v.flag("fitted", "Fitted", p.fitted);
      v.count("missing", "Missing", p.missing, Limits{0, 10000});
    });
    v.list("log", Topic::none, r.log, mostLogEntries, [&](auto& l, std::size_t) {
      v.text("at", "At", l.at);
      v.choice("kind", "Kind", l.kind, std::span(logKindChoices));
      v.freeText("text", l.text);
      v.freeText("step", l.step);
      v.freeText("file", l.file);
    });
  });
}

} // namespace eup
