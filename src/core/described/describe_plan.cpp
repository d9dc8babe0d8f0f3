// The description of a paper plan's readings (see describe.h).
#include "core/described/describe.h"
#include "core/plan/plan_image.h"
#include <optional>

namespace eup {

/// The plan is saved like every decision, but read and edited on its own stage rather than as a list of fields.
void describePlan(Plan& plan, Visitor& v) {
  v.list("sheets", Topic::none, plan.sheets, mostSheets, [&](auto& s, std::size_t) {
    v.text("name", "Name", s.name);
    v.freeText("file", s.file);
    v.freeText("checksum", s.checksum);
    v.bytes("copy", s.copy);
    v.count("page", "Page", s.page, Limits{1, 9999});
    v.count("width", "Width", s.width, Limits{0, 100000});
    v.count("height", "Height", s.height, Limits{0, 100000});
    v.number("dpi", "Pixels an inch", s.dpi, Limits{0, mostDpi});
    v.choice("by", "Made true by", s.by, std::span(makeTrueChoices));
    v.list("lengths", Topic::none, s.lengths, mostKnownLengths, [&](auto& l, std::size_t) {
      v.freeText("name", l.name);
      v.points("ends", l.ends, 2);
      v.length("length", "Known length", l.length, Limits{0.1, 100000});
    });
    v.points("corners", s.corners, 4);
    v.length("cornerWidth", "Rectangle's width", s.cornerWidth, Limits{1, 100000});
    v.length("cornerHeight", "Rectangle's height", s.cornerHeight, Limits{1, 100000});
    v.points("level", s.level, 2);
  });
  v.list("readings", Topic::none, plan.readings, mostReadings, [&](auto& r, std::size_t) {
    v.freeText("name", r.name);
    v.choice("kind", "Kind", r.kind, std::span(readingChoices));
    v.count("sheet", "Sheet", r.sheet, Limits{1, mostSheets});
    v.choice("hand", "Hand", r.hand, std::span(handChoices));
    v.count("number", "Number", r.number, Limits{1, 9999});
    v.points("points", r.points, mostReadingPoints);
  });
  v.list("verdicts", Topic::none, plan.verdicts, mostVerdicts, [&](auto& d, std::size_t) {
    v.freeText("key", d.key);
    v.flag("take", "Taken", d.take);
  });
}

} // namespace eup
