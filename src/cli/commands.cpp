#include "cli/commands.h"
#include "arguments.h"
#include "cli/assemble_command.h"
#include "cli/balance_command.h"
#include "cli/foam_command.h"
#include "cli/log_command.h"
#include "cli/parts_command.h"
#include "cli/plan_command.h"
#include "cli/reading.h"
#include "cli/skins_command.h"
#include "cli/steps_command.h"
#include "cli/surfaces_command.h"
#include "cli/table_commands.h"
#include "cli/without_controls.h"
#include "core/described/design_file.h"
#include "core/exchange/report.h"
#include "core/files/bytes.h"
#include "core/files/shipped.h"
#include "core/files/text_file.h"
#include "core/report/told.h"
#include "core/section/catalogue.h"
#include "core/section/naca.h"
#include "core/takeaway/span_curves.h"
#include "core/takeaway/take_away.h"
#include "core/trials/sizing.h"
#include "core/trials/stiffening.h"
#include <fmt/format.h>
#include <functional>
#include <iostream>
#include <set>
#include <sstream>

namespace eup::cli {
namespace {

struct Args {
  std::string file, folder, format = "pdf", paper = "a4", hand = "both", spec, demo, end = "root", layout = "loop";
  std::vector<double> thickness, camber;
  std::string axes = "XYUV";
  WireReach reach;
  int panel = 1, wing = 1, spar = 1, core = 1;
  double reserve = 2;
  std::vector<double> stock;
  std::vector<std::string> wood, pieces;
  std::vector<int> panels;
  double kerf = 0;
  bool flat = false, stepped = false, oneDocument = false;
  bool json = false, csv = false;
  BendArgs bend;
  AssembleArgs assemble;
  StepsArgs steps;
  LogArgs log;
};

Hand handOf(const Args& args) {
  return args.hand == "left" ? Hand::left : Hand::right;
}

/// The wing of the aircraft that the arguments name; null after saying that there is none.
const WholeWing* wingOf(const Args& args, const TrueWing& w, Streams io) {
  const auto& wings = w.of(handOf(args)).wings;
  if (args.wing >= 1 && args.wing <= static_cast<int>(wings.size()))
    return &wings[static_cast<std::size_t>(args.wing - 1)];
  const std::string why = fmt::format("there is no wing {}: the aircraft has {}", args.wing, wings.size());
  refuse(io, args.file, Problem{"--wing", why}, usage);
  return nullptr;
}

/// The panel of it; null after saying that there is none.
const TruePanel* panelOf(const Args& args, const TrueWing& w, Streams io) {
  const WholeWing* wing = wingOf(args, w, io);
  if (!wing) return nullptr;
  const auto& panels = wing->panels;
  if (args.panel >= 1 && args.panel <= static_cast<int>(panels.size()))
    return &panels[static_cast<std::size_t>(args.panel - 1)];
  const std::string why = fmt::format("there is no panel {}: the wing has {}", args.panel, panels.size());
  refuse(io, args.file, Problem{"--panel", why}, usage);
  return nullptr;
}

int exitOf(const std::vector<Finding>& findings) {
  for (const Finding& f : findings)
    if (f.severity == Severity::serious) return seriousFindings;
  return fine;
}

int report(const Args& args, const TrueWing& w, Streams io) {
  if (args.json) {
    io.out << reportJson(w.design.name, figuresOf(w), findingsOf(w));
  } else {
    for (const Figure& f : figuresOf(w))
      io.out << fmt::format("{:28} {:>14}  {}\n", f.key, told(f.value, f.quantity, w.design.unit), f.label);
    io.out << findingsText(findingsOf(w));
  }
  return exitOf(findingsOf(w));
}

int stations(const Args&, const TrueWing& w, Streams io) {
  io.out << toCsv(stationTable(w));
  return exitOf(findingsOf(w));
}

int check(const Args&, const TrueWing& w, Streams io) {
  const auto& findings = findingsOf(w);
  io.out << (findings.empty() ? "Nothing to report.\n" : findingsText(findings));
  return exitOf(findings);
}

int section(const Args& args, Streams io) {
  Section section;
  double radius = 0;
  if (const auto naca = readNaca(args.spec)) {
    section = makeNaca(naca.value());
    radius = nacaNoseRadius(naca.value());
  } else if (std::error_code error; std::filesystem::exists(args.spec, error)) {
    const auto text = readTextFile(args.spec);
    if (!text) return refuse(io, "cannot read", text.problem(), unreadable);
    const auto read = readCoordinates(text.value(), std::filesystem::path(args.spec).stem().string());
    if (!read) return refuse(io, args.spec, read.problem(), unreadable);
    for (const std::string& note : read.value().mended)
      io.err << withoutControls(fmt::format("note: {}: {}", args.spec, note)) << '\n';
    section = makeSection(read.value().section);
    radius = listedNoseCentre(read.value().section.upper, read.value().section.lower).norm();
  } else {
    return refuse(io, "section", naca.problem(), usage);
  }
  const SectionMeasures m = measure(section);
  if (args.json) {
    io.out << sectionJson(section, m, radius);
  } else {
    io.out << fmt::format(
        "{}\nthickness {:.2f} % at {:.1f} %\ncamber {:.2f} % at {:.1f} %\nnose radius {:.2f} %\nundercamber {:.2f} %\n",
        section.name, m.thickness * 100, m.thicknessAt * 100, m.camber * 100, m.camberAt * 100, radius * 100,
        m.undercamberAt ? m.undercamber * 100 : 0.0);
  }
  return fine;
}

int exportFiles(const Args& args, const TrueWing& w, Streams io) {
  ExportOrder order;
  order.formats = {args.format == "svg"   ? ExportFormat::svg
                   : args.format == "dxf" ? ExportFormat::dxf
                                          : ExportFormat::pdf};
  if (args.hand != "both") order.hands = {args.hand == "right" ? Hand::right : Hand::left};
  order.paper = args.paper == "letter" ? Paper::letter : Paper::a4;
  order.kerf = args.kerf;
  order.oneDocument = args.oneDocument;
  for (const int panel : args.panels) order.panels.push_back(panel - 1);
  if (!args.pieces.empty()) order.pieces.clear();
  for (const PrintPiece piece : allPieces)
    for (const std::string& key : args.pieces)
      if (printPieceChoices[static_cast<std::size_t>(piece)].key == key) order.pieces.push_back(piece);
  const auto written = exportWing(w, args.folder, order);
  if (!written) return refuse(io, "cannot write", written.problem(), unreadable);
  for (const auto& path : written.value()) io.out << path.string() << '\n';
  return exitOf(findingsOf(w));
}

/// Ways to stiffen a panel, what each gains and weighs.
int stiffen(const Args& args, const TrueWing& w, Streams io) {
  const TruePanel* panel = panelOf(args, w, io);
  if (!panel) return usage;
  const auto trials = stiffeningTrials(*panel);
  if (trials.empty()) return refuse(io, args.file, Problem{"", "the panel has no frame to twist"}, seriousFindings);
  io.out << "twist_deg,times_as_stiff,grams_more,way\n";
  for (const StiffeningTrial& t : trials)
    io.out << fmt::format("{:.3f},{:.3f},{:.2f},\"{}\"\n", radToDeg(t.twist), t.stiffer, t.grams, t.what);
  return fine;
}

/// What runs along the span, one row a place, one column a load.
int curves(const Args& args, const TrueWing& w, Streams io) {
  const WholeWing* one = wingOf(args, w, io);
  if (!one) return usage;
  const auto all = spanCurves(*one);
  io.out << "station_mm";
  for (const SpanCurve& c : all)
    for (const SpanCurve::Line& line : c.lines) io.out << fmt::format(",\"{} ({}), {}\"", c.label, c.unit, line.words);
  io.out << '\n';
  constexpr int steps = 60;
  for (int i = 0; i <= steps; ++i) {
    const double y = one->planform.halfSpan * i / steps;
    io.out << fmt::format("{:.3f}", y);
    for (const SpanCurve& c : all)
      for (const SpanCurve::Line& line : c.lines) io.out << fmt::format(",{:.5g}", line.at(y));
    io.out << '\n';
  }
  return fine;
}

/// The lightest sizes of a spar that keep a reserve.
int sizeSpar(const Args& args, const TrueWing& w, Streams io) {
  const TruePanel* chosen = panelOf(args, w, io);
  if (!chosen) return usage;
  const TruePanel& panel = *chosen;
  SizingOrder order;
  order.spar = args.spar - 1;
  order.reserve = args.reserve;
  if (args.spar < 1 || args.spar > static_cast<int>(panel.design.spars.size()))
    return refuse(io, args.file, Problem{"--spar", "there is no such spar"}, usage);
  if (!(order.reserve > 0)) return refuse(io, args.file, Problem{"--reserve", "a number above 0 was expected"}, usage);
  order.mayStep = args.stepped;
  if (!args.stock.empty()) order.stock = args.stock;
  if (!args.wood.empty()) order.materials = args.wood;
  for (const std::string& wood : order.materials)
    if (!panel.design.tables.find(wood))
      return refuse(io, args.file, Problem{"--wood", "there is no material “" + wood + "”"}, usage);
  const auto sizes = sparSizes(panel, w.wing(args.wing - 1).loads, order);
  if (sizes.empty()) return refuse(io, args.file, Problem{"", "no size of these keeps the reserve"}, seriousFindings);
  io.out << "grams,reserve,wood,top_width,top_depth,top_tip_width,bottom_width,bottom_depth,bottom_tip_width,sheet,"
            "doubled_to\n";
  for (const SparSize& s : sizes) {
    const auto cap = [](const Cap& c) {
      return c.fitted ? fmt::format("{},{},{}", c.width, c.depth, c.tapers ? c.tipWidth : c.width) : std::string(",,");
    };
    const bool caps = s.spar.kind == SparKind::caps;
    const Cap& one = s.spar.top.fitted ? s.spar.top : s.spar.bottom;
    io.out << fmt::format("{:.2f},{:.3f},{},{},{},{},{}\n", s.grams, s.reserve,
                          caps ? one.material : s.spar.sheetMaterial, caps ? cap(s.spar.top) : ",,",
                          caps ? cap(s.spar.bottom) : ",,", caps ? std::string() : fmt::format("{}", s.spar.sheet),
                          caps && one.doubled ? fmt::format("{}", one.doubledTo) : std::string());
  }
  return fine;
}

/// The wing put together again from its flat parts, with the errors that are typed.
int assemble(const Args& args, const TrueWing& w, Streams io) {
  const WholeWing* whole = wingOf(args, w, io);
  if (!whole) return usage;
  const auto faults = faultsOf(args.assemble, *whole);
  if (!faults) return refuse(io, args.file, faults.problem(), usage);
  tellAssembly(*whole, faults.value(), args.json, io.out);
  return fine;
}

int parts(const Args& args, const TrueWing& w, Streams io) {
  tellParts(w, args.json ? PartsAs::json : args.csv ? PartsAs::csv : PartsAs::text, io.out);
  return fine;
}

int balance(const Args& args, const TrueWing& w, Streams io) {
  tellBalance(w, args.json, io.out);
  return fine;
}

/// What is told; where that is nothing, why, beside it.
template <class Tell> int orWhyNot(Streams io, const char* why, Tell tell) {
  std::ostringstream text;
  tell(text);
  io.out << text.str();
  if (text.str().empty()) io.err << "euptera-cli: " << why << '\n';
  return fine;
}

int skins(const Args& args, const TrueWing& w, Streams io) {
  return orWhyNot(io, "nothing of it is sheeted", [&](std::ostream& out) { tellSkins(w, args.json, out); });
}

int foam(const Args& args, const TrueWing& w, Streams io) {
  return orWhyNot(io, "no panel of it is of foam", [&](std::ostream& out) { tellFoam(w, args.json, out); });
}

int surfaces(const Args& args, const TrueWing& w, Streams io) {
  return orWhyNot(io, "it has no surface on hinges", [&](std::ostream& out) { tellSurfaces(w, args.json, out); });
}

int logOf(const Args& args, const TrueWing& w, Streams io) {
  return orWhyNot(io, args.log.with.empty() ? "nothing was recorded yet" : "no entry has that word in it",
                  [&](std::ostream& out) { tellLog(w, args.log, out); });
}

int steps(const Args& args, const TrueWing& w, Streams io) {
  return tellSteps(w, args.steps, io.out, io.err);
}

/// The machine's text for one core.
int wire(const Args& args, const TrueWing& w, Streams io) {
  const TruePanel* panel = panelOf(args, w, io);
  if (!panel) return usage;
  const auto code = wireCodeOf(*panel, args.core, handOf(args));
  if (!code) return refuse(io, "cannot be cut", code.problem(), seriousFindings);
  io.out << code.value();
  return fine;
}

/// What a machine's text would make it do.
int wireRead(const Args& args, Streams io) {
  const auto text = readTextFile(args.file);
  if (!text) return refuse(io, "cannot read", text.problem(), unreadable);
  const auto read = readWireCode(text.value(), args.axes, args.reach);
  if (!read) return refuse(io, args.file, read.problem(), unreadable);
  tellWireCode(read.value(), args.json, io.out);
  return fine;
}

int upgrade(const Args& args, Streams io) {
  const auto design = designOf(args.file, io);
  if (const int* code = std::get_if<int>(&design)) return *code;
  io.out << designToText(std::get<Design>(design));
  return fine;
}

int plan(const Args&, const TrueWing& w, Streams io) {
  tellPlan(w, io.out);
  return exitOf(findingsOf(w));
}

/// The root or tip section of a wing, full size with gauges, or as coordinates.
int sectionSheet(const Args& args, const TrueWing& w, Streams io) {
  const TruePanel* panel = panelOf(args, w, io);
  if (!panel) return usage;
  const auto done = writeSection(*panel, args.end == "root", args.folder,
                                 args.layout == "blocks" ? CoordinateLayout::blocks : CoordinateLayout::loop,
                                 args.paper == "letter" ? Paper::letter : Paper::a4);
  if (!done) return refuse(io, "cannot write", done.problem(), unreadable);
  io.out << args.folder << '\n';
  return fine;
}

int sections(const Args& args, Streams io) {
  CatalogueQuery q;
  q.words = args.spec;
  q.thicknessFrom = args.thickness.empty() ? 0 : args.thickness.front() / 100;
  q.thicknessTo = args.thickness.empty() ? 1 : args.thickness.back() / 100;
  q.camberFrom = args.camber.empty() ? 0 : args.camber.front() / 100;
  q.camberTo = args.camber.empty() ? 1 : args.camber.back() / 100;
  q.flatUnderside = args.flat;
  for (const CatalogueEntry* e : search(q))
    io.out << fmt::format("{:36} thickness {:5.2f} %  camber {:5.2f} %  flat underside {:3.0f} %  {}\n", e->name,
                          e->measures.thickness * 100, e->measures.camber * 100,
                          (e->measures.flatTo - e->measures.flatFrom) * 100, e->source);
  return fine;
}

int demo(const Args& args, Streams io) {
  if (const auto text = shipped::demo(args.demo)) {
    io.out << *text;
    return fine;
  }
  io.err << "euptera-cli: there is no demo of that name. There is:";
  for (const std::string& known : shipped::demoNames()) io.err << ' ' << known;
  io.err << '\n';
  return usage;
}

/// The tables, with a wing's own rows where a file is given.
int materials(const Args& args, Streams io) {
  if (args.file.empty()) return listTables({}, io.out);
  const auto design = designOf(args.file, io);
  if (const int* code = std::get_if<int>(&design)) return *code;
  return listTables(std::get<Design>(design).own, io.out);
}

int bend(const Args& args, Streams io) {
  return bendTest(args.bend, io.out, io.err);
}

} // namespace

int run(const std::vector<std::string>& given, std::ostream& toOut, std::ostream& toErr) {
  WithoutControls plainOut(toOut), plainErr(toErr);
  std::ostream out(&plainOut), err(&plainErr);
  Args args;
  const Streams io{out, err};
  std::function<int()> chosen;
  Arguments app("Euptera without its window: figures, stations and files of a wing.\n"
                "Exit: 0 fine, 1 serious findings, 2 usage, 3 unreadable or not writable.",
                "euptera-cli");
  app.version(EUPTERA_VERSION);
  const auto command = [&](const char* name, const char* what, int (*function)(const Args&, Streams)) {
    Command sub = app.command(name, what);
    sub.then([&, function] { chosen = [&, function] { return function(args, io); }; });
    return sub;
  };
  const auto withFile = [&](Command sub, const char* what = "wing file") {
    sub.option("file", args.file, what).required();
    return sub;
  };
  /// Of the wing that a file decides.
  const auto ofWing = [&](const char* name, const char* what, int (*function)(const Args&, const TrueWing&, Streams)) {
    Command sub = withFile(app.command(name, what));
    sub.then([&, function] {
      chosen = [&, function] {
        const auto wing = trueWingOf(args.file, io);
        const int* code = std::get_if<int>(&wing);
        return code ? *code : function(args, std::get<TrueWing>(wing), io);
      };
    });
    return sub;
  };
  const auto ofWhichWing = [&](Command sub) {
    sub.option("--wing", args.wing, "which wing of the aircraft; 1 is the main wing");
    return sub;
  };
  const auto ofWhichPanel = [&](Command sub) {
    ofWhichWing(sub).option("--panel", args.panel, "which panel, from the middle outwards; 1 is the innermost");
    return sub;
  };
  ofWing("report", "every figure with its working, and the findings", report).flag("--json", args.json, "as JSON");
  ofWing("stations", "one row a rib", stations).flag("--csv", args.csv, "as CSV (the default)");
  Command list = ofWing("parts", "every piece: how many, of what, how large, how heavy, where", parts);
  const Option asJson = list.flag("--json", args.json, "as JSON");
  list.flag("--csv", args.csv, "as CSV").excludes(asJson);
  ofWing("balance", "mass, neutral point, where it balances and where it should", balance)
      .flag("--json", args.json, "as JSON");
  ofWing("skins", "sheet laid flat: widths, end angles, bends, joints; patterns as JSON", skins)
      .flag("--json", args.json, "as JSON");
  ofWing("foam", "foam cores: blocks, templates, the wire's way; as JSON with the towers' path", foam)
      .flag("--json", args.json, "as JSON");
  ofWing("surfaces", "surfaces on hinges: cuts, bevels, linkage, what their servos bear; as JSON with the cut ribs",
         surfaces)
      .flag("--json", args.json, "as JSON");
  addStepsOptions(ofWing("steps", "the steps of building it, put into a schedule", steps), args.steps);
  addLogOptions(ofWing("log", "what was done, read and changed while it was built", logOf), args.log);
  Command cutting = ofWhichPanel(ofWing("wire", "the path of a hot wire's machine for one core of foam", wire));
  cutting.option("--core", args.core, "which core of it; 1 is the innermost");
  cutting.option("--hand", args.hand, "right or left").oneOf({"right", "left"});
  Command back = withFile(command("wire-read", "what such a path makes the machine do", wireRead), "machine's path");
  back.option("--axes", args.axes, "letters of the axes: inner tower aft, up, outer tower aft, up");
  back.option("--travel-aft", args.reach.aft, "mm that the machine travels aft; 700 if not given").between(10, 10000);
  back.option("--travel-up", args.reach.up, "mm that it travels up; 300 if not given").between(10, 10000);
  back.flag("--json", args.json, "as JSON, move by move");
  ofWing("check", "the findings", check);
  ofWhichPanel(ofWing("stiffen", "ways to stiffen a panel against twisting, as CSV", stiffen));
  ofWhichWing(ofWing("curves", "lift, shear, bending, twist and bend along the span, as CSV", curves));
  Command size = ofWhichPanel(ofWing("size", "the lightest sizes of a spar that keep a reserve, as CSV", sizeSpar));
  size.option("--spar", args.spar, "which spar of the panel");
  size.option("--reserve", args.reserve, "least strength over stress, 2 if not given");
  size.option("--stock", args.stock, "sizes at hand in mm, separated by commas").separatedBy(',').between(0.3, 200.0);
  size.option("--wood", args.wood, "materials that may be used, by key, separated by commas").separatedBy(',');
  command("materials", "the tables of materials, coverings, glues and load factors, as CSV", materials)
      .option("file", args.file, "wing file, for its own rows too");
  Command bendCommand = command("bend", "what a bend test tells of a strip, as a row for the tables", bend);
  for (const auto& [name, value, what] :
       {std::tuple("--width", &BendTest::width, "of the strip, mm"),
        std::tuple("--depth", &BendTest::depth, "of the strip, the way it bends, mm"),
        std::tuple("--span", &BendTest::span, "free between the edges, or from the clamp to the weight, mm"),
        std::tuple("--load", &BendTest::load, "hung on, g"), std::tuple("--sag", &BendTest::sag, "by that weight, mm"),
        std::tuple("--length", &BendTest::length, "whole, on the scales, mm"),
        std::tuple("--weight", &BendTest::weight, "of that, g")})
    bendCommand.option(name, args.bend.test.*value, what).required();
  bendCommand.flag("--clamped", args.bend.clamped, "one end clamped, the weight at the other");
  bendCommand.option("--like", args.bend.like, "what lends strengths and shear, by key");
  bendCommand.option("--name", args.bend.label, "what to call it");
  size.flag("--stepped", args.stepped, "caps may be doubled over an inner part of the spar");
  Command sectionCommand = command("section", "measures of a section: NACA digits or a coordinate file", section);
  sectionCommand.option("spec", args.spec, "2412, 23012, or a file").required();
  sectionCommand.flag("--json", args.json, "as JSON, with the points");
  ofWing("plan", "what was read off the plan, judged, and the layout that follows", plan);
  Command trial = ofWhichWing(ofWing(
      "assemble", "puts the wing together again from its flat parts: how far it is from what was decided", assemble));
  trial.flag("--json", args.json, "as JSON");
  trial.option("--hand", args.hand, "right, or left where that is another").oneOf({"right", "left"});
  trial.option("--notch", args.assemble.notches, "a notch that much too deep, as in R3=0.3 (mm)");
  trial.option("--packing", args.assemble.packing, "packing under a rib's tail that much too high, as in R9=0.5 (mm)");
  trial.option("--brace", args.assemble.braces, "a panel's brace bent that much too far, as in 1=0.5 (degrees)");
  withFile(command("upgrade", "prints the wing in the present file format", upgrade));
  Command sheet = ofWhichPanel(
      ofWing("section-sheet", "a wing's section full size with nose gauges, or its coordinates", sectionSheet));
  sheet.option("--to", args.folder, "file: .pdf, .svg, .dxf, or .dat for coordinates").required();
  sheet.option("--end", args.end, "root or tip").oneOf({"root", "tip"});
  sheet.option("--layout", args.layout, "coordinates: loop or blocks").oneOf({"loop", "blocks"});
  sheet.option("--paper", args.paper, "a4 or letter").oneOf({"a4", "letter"});
  Command catalogueCommand = command("sections", "searches the catalogue of sections", sections);
  catalogueCommand.option("words", args.spec, "words of the name");
  catalogueCommand.option("--thickness", args.thickness, "from and to, % chord").expected(1, 2);
  catalogueCommand.option("--camber", args.camber, "from and to, % chord").expected(1, 2);
  catalogueCommand.flag("--flat", args.flat, "underside flat over half the chord or more");
  Command exportCommand = ofWing("export", "ribs, plan and bench card at full size", exportFiles);
  exportCommand.option("--to", args.folder, "folder to write into").required();
  exportCommand.option("--format", args.format, "svg, dxf or pdf").oneOf({"svg", "dxf", "pdf"});
  exportCommand.option("--paper", args.paper, "a4 or letter").oneOf({"a4", "letter"});
  std::vector<std::string> pieceNames;
  pieceNames.reserve(printPieceChoices.size());
  for (const Choice& c : printPieceChoices) pieceNames.emplace_back(c.key);
  exportCommand.option("--pieces", args.pieces, "only these, as in ribs,gauges").separatedBy(',').oneOf(pieceNames);
  exportCommand.option("--panels", args.panels, "only these panels, as in 1,3").separatedBy(',').between(1, mostPanels);
  exportCommand.option("--kerf", args.kerf, "mm that the cutter takes away, for SVG and DXF of ribs and braces")
      .between(0.0, 5.0);
  exportCommand.flag("--one-document", args.oneDocument, "PDF: one file with contents");
  exportCommand.option("--hand", args.hand, "right, left or both").oneOf({"right", "left", "both"});
  command("demo", "prints a demo wing's file", demo).option("name", args.demo, "which one").required();

  if (const auto end = app.read(given, out, err)) return *end == 0 ? fine : usage;
  return chosen();
}

} // namespace eup::cli
