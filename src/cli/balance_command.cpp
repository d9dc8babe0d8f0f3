#include "cli/balance_command.h"
#include "core/files/json.h"
#include "core/report/told.h"
#include "core/wing/model_balance.h"
#include <fmt/format.h>
#include <ostream>

namespace eup::cli {

void tellBalance(const TrueWing& w, bool json, std::ostream& out) {
  if (!json) {
    for (const Figure& f : figuresOf(w, Stage::stock))
      if (f.key.starts_with("balance."))
        out << fmt::format("{:34} {:>12}  {}\n", f.label, told(f.value, f.quantity, w.design.unit), f.where);
    for (const Finding& f : findingsOf(w))
      if (f.key.starts_with("balance.")) out << f.what << ". " << f.detail << ' ' << f.remedy << '\n';
    return;
  }
  const ModelBalance b = balanceOf(w);
  const auto mass = [](const MassPoint& m) { return Json{{"grams", m.grams}, {"at", {m.at.x(), m.at.y(), m.at.z()}}}; };
  Json root{{"wing", w.design.name},
            {"unit", {{"length", "mm"}, {"area", "mm2"}, {"mass", "g"}}},
            {"pieces", mass(b.pieces)},
            {"glue", mass(b.glue)},
            {"aboard", mass(b.aboard)},
            {"all", mass(b.all)},
            {"neutralPoint", b.lifts() ? Json(b.neutral.aft) : Json()},
            {"wanted", b.lifts() ? Json(b.wanted) : Json()},
            {"margin", b.complete() ? Json((b.neutral.aft - b.all.at.x()) / b.meanChord) : Json()},
            {"meanChord", b.meanChord},
            {"meanChordLe", b.meanChordLe},
            {"areaWithTips", b.area},
            {"aspectWithTips", b.aspect},
            {"sideways", b.rightMore},
            {"weighed", b.weighed},
            {"weighedMore", b.weighedMore},
            {"surfaces", Json::array()}};
  const auto ballast = ballastFor(b.all, b.wanted, w.design.balance.ballastAft);
  root["ballast"] = b.complete() && ballast ? Json{{"grams", *ballast}, {"at", w.design.balance.ballastAft}} : Json();
  for (std::size_t i = 0; i < b.wings.size(); ++i) {
    const LiftingSurface& s = b.wings[i].surface;
    const SurfaceShare& share = b.neutral.shares[i];
    root["surfaces"].push_back({{"name", b.wings[i].name},
                                {"area", s.area},
                                {"span", s.span},
                                {"quarterChord", s.quarterChord},
                                {"flow", s.flow},
                                {"liftSlope", share.slope},
                                {"downwash", share.downwash},
                                {"grams", b.wings[i].grams}});
  }
  out << root.dump(2) << '\n';
}

} // namespace eup::cli
