// How long the wing takes to follow a decision, and its files to be read and written. docs/performance.md has the
// table.
#include "core/described/design_file.h"
#include "core/files/shipped.h"
#include "core/files/text_file.h"
#include "core/report/told.h"
#include "core/takeaway/take_away.h"
#include "core/trials/sizing.h"
#include <benchmark/benchmark.h>
#include <filesystem>

namespace eup {
namespace {

Design demo() {
  return designFromText(*shipped::demo("fenlark-1500")).value().design;
}

/// Every feature on and as many ribs as asked.
Design everything(int ribs) {
  Design d = demo();
  d.inner().ribs.count = ribs;
  Spar web;
  web.name = "web";
  web.kind = SparKind::fullDepth;
  web.rootFraction = web.tipFraction = 0.5;
  d.inner().spars.insert(d.inner().spars.begin() + 1, web);
  d.inner().trailingEdge.kind = TrailingEdgeKind::twoSheets;
  return d;
}

/// What every decision costs the window: the wing and what is wrong with it.
void follow(const Design& d) {
  const auto made = work(d);
  benchmark::DoNotOptimize(findingsOf(std::get<TrueWing>(made)));
}

void workDemo(benchmark::State& state) {
  const Design d = demo();
  for (auto _ : state) follow(d);
}
BENCHMARK(workDemo)->Unit(benchmark::kMillisecond);

void workEverything(benchmark::State& state) {
  const Design d = everything(static_cast<int>(state.range(0)));
  for (auto _ : state) follow(d);
}
BENCHMARK(workEverything)->Arg(40)->Arg(400)->Unit(benchmark::kMillisecond);

/// And a riblet in every bay, slots for braces, a joiner, a tip.
void workFittings(benchmark::State& state) {
  Design d = everything(40);
  d.inner().riblets.inBay = 1;
  d.inner().join.braces[0].slots = true;
  d.inner().join.joiner.fitted = true;
  d.inner().tip.kind = TipKind::bow;
  for (auto _ : state) follow(d);
}
BENCHMARK(workFittings)->Unit(benchmark::kMillisecond);

/// A model of a wing of two panels, a tailplane and a fin.
void workModel(benchmark::State& state) {
  const Design d = designFromText(*shipped::demo("oldacre-1320")).value().design;
  for (auto _ : state) follow(d);
}
BENCHMARK(workModel)->Unit(benchmark::kMillisecond);

/// The same in two panels a side of twenty ribs each.
void workTwoPanels(benchmark::State& state) {
  Design d = everything(20);
  d.wings.front().panels.push_back(d.inner());
  for (auto _ : state) follow(d);
}
BENCHMARK(workTwoPanels)->Unit(benchmark::kMillisecond);

/// What a tick or a reading costs: the same wing beside other records, and what is wrong with it.
void tickEverything(benchmark::State& state) {
  const TrueWing w = std::get<TrueWing>(work(everything(40)));
  Records records = w.design.records;
  records.looked.push_back({"0.0:glue"});
  for (auto _ : state) benchmark::DoNotOptimize(findingsOf(withRecords(w, records)));
}
BENCHMARK(tickEverything)->Unit(benchmark::kMillisecond);

/// The lightest main spar of the demo from eight sizes and three woods.
void sizeSpar(benchmark::State& state) {
  const TrueWing w = std::get<TrueWing>(work(demo()));
  for (auto _ : state) benchmark::DoNotOptimize(sparSizes(w.inner(), w.main().loads, SizingOrder{}));
}
BENCHMARK(sizeSpar)->Unit(benchmark::kMillisecond);

/// The same when nothing is strong enough, so that all is looked at.
void sizeSparInVain(benchmark::State& state) {
  const TrueWing w = std::get<TrueWing>(work(demo()));
  SizingOrder order;
  order.reserve = 50;
  for (auto _ : state) benchmark::DoNotOptimize(sparSizes(w.inner(), w.main().loads, order));
}
BENCHMARK(sizeSparInVain)->Unit(benchmark::kMillisecond);

/// Every check of every bay, and the spars' strength along the span.
void checkBays(benchmark::State& state) {
  const TrueWing w = std::get<TrueWing>(work(demo()));
  const TruePanel& p = w.inner();
  for (auto _ : state) {
    benchmark::DoNotOptimize(bayChecks(p.design, p.shape.loft, p.frame, p.strength.skin, w.main().loads));
    benchmark::DoNotOptimize(strengthOf(p.design, p.frame.spars, p.strength.skin, {}, w.main().loads));
  }
}
BENCHMARK(checkBays)->Unit(benchmark::kMicrosecond);

/// All skins of the demo laid flat; those of forty ribs with two trailing edge sheets.
void skinsFlat(benchmark::State& state) {
  const TrueWing w = std::get<TrueWing>(work(state.range(0) == 0 ? demo() : everything(40)));
  const TruePanel& p = w.inner();
  for (auto _ : state) benchmark::DoNotOptimize(skinsOf(p.design, p.shape.loft, p.frame));
}
BENCHMARK(skinsFlat)->Arg(0)->Arg(40)->Unit(benchmark::kMicrosecond);

void fileLoad(benchmark::State& state) {
  const std::string text = designToText(demo());
  for (auto _ : state) benchmark::DoNotOptimize(designFromText(text));
}
BENCHMARK(fileLoad)->Unit(benchmark::kMicrosecond);

void fileSave(benchmark::State& state) {
  const Design d = demo();
  const auto path = std::filesystem::temp_directory_path() / "euptera-benchmark.euptera";
  for (auto _ : state) benchmark::DoNotOptimize(writeFileAtomically(path, designToText(d)).ok());
  std::filesystem::remove(path);
}
BENCHMARK(fileSave)->Unit(benchmark::kMicrosecond);

/// All three formats, both hands, 24 files.
void exportEverything(benchmark::State& state) {
  const auto wing = work(demo());
  const auto folder = std::filesystem::temp_directory_path() / "euptera-benchmark";
  ExportOrder order;
  order.formats = {ExportFormat::pdf, ExportFormat::svg, ExportFormat::dxf};
  for (auto _ : state) benchmark::DoNotOptimize(exportWing(std::get<TrueWing>(wing), folder, order).ok());
  std::filesystem::remove_all(folder);
}
BENCHMARK(exportEverything)->Unit(benchmark::kMillisecond);

} // namespace
} // namespace eup
