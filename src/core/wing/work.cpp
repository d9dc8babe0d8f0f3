#include "core/described/validate.h"
#include "core/edit/left_hand.h"
#include "core/geometry/in_parallel.h"
#include "core/joins/join_parts.h"
#include "core/skins/skin_bonds.h"
#include "core/strength/plate_strength.h"
#include "core/wing/holding.h"
#include "core/wing/run_over.h"
#include "core/wing/true_wing.h"
#include <algorithm>
#include <future>
#include <map>
#include <new>

namespace eup {
namespace {

using TwistTests = std::vector<std::future<std::optional<FrameTwist>>>;

/// A panel sees the one inside it: its root continues it and is joined to it. Its twist test begins as soon as it is
/// framed, and goes on beside the rest.
void workPanel(TruePanel& p, const TruePanel* inside, TwistTests& tests) {
  const PanelLoft& loft = p.shape.loft;
  std::vector<SparLine> spars = sparLines(p.design, loft);
  const std::vector<Passing> passing = passingThrough(p.design, p.shape, spars);
  p.frame = cutFrame(p.design, p.shape, std::move(spars), passing);
  tests.push_back(std::async(std::launch::async, [&p] { return twistTest(p.design, p.shape.loft, p.frame); }));
  p.tip = tipShape(p.design, loft);
  const std::optional<Neighbour> neighbour =
      inside ? std::optional(Neighbour{inside->design, inside->shape, inside->frame.spars}) : std::nullopt;
  p.join = panelJoin(p.design, p.shape, p.frame.spars, p.frame.ribs.front().depth, neighbour ? &*neighbour : nullptr);
  p.settingUp = settingUp(p.design, p.shape, p.frame);
  p.joiner = joinerRod(p.design, p.shape, neighbour ? &*neighbour : nullptr);
  p.sheet = sheetPanelOf(p.design, p.shape, p.frame, p.tip);
  p.skins = skinsOf(p.design, loft, p.frame);
  p.foam = foamOf(p.design, p.shape, p.frame);
  p.surfaces = surfacesOf(p.design, loft, p.frame);
  p.hardPoints = hardPointsOf(p.design, loft, p.frame);
  p.parts = p.sheet ? partsOfSheetPanel(p.design, loft, p.frame, *p.sheet)
                    : builtParts(p.design, loft, p.frame, p.tip, p.skins);
  if (p.foam)
    for (Part& part : partsOfFoam(p.design, loft, p.frame, *p.foam)) p.parts.push_back(std::move(part));
  for (Part& part : partsOfSurfaces(p.design, loft, p.frame, p.surfaces)) p.parts.push_back(std::move(part));
  for (Part& part : partsOfHardPoints(p.design, loft, p.frame, p.hardPoints)) p.parts.push_back(std::move(part));
  for (Part& part : partsOfJoin(p.design, p.join, p.joiner, p.frame.spars)) p.parts.push_back(std::move(part));
  if (!p.sheet) p.spaces = spacesUnder(p.skins, p.parts);
  p.holds = holdsOf(p.design, p.spaces, p.joiner.has_value());
  p.mass = panelMass(p.parts, p.frame.ribs, p.design.inboard);
  p.strength.skin = sheetSkin(p.design, loft, p.frame.ribs);
  p.strength.noseBox = noseBoxOf(p.design, loft, p.frame.ribs.front());
}

/// What holds the join, in the panel's first bay, of the spar that it lies on.
void addJoinChecks(TruePanel& p, const std::vector<BayCheck>& checks, int spar) {
  SparBay* first = nullptr;
  for (SparBay& bay : p.strength.bays)
    if (bay.bay == 1 && (!first || bay.spar == spar)) first = &bay;
  for (const BayCheck& c : checks)
    if (first && c.stress > 0) keep(*first, c);
}

/// What holds the joiner: this panel's ribs, and at a join further out those of the panel inside it, whose load acts
/// beyond its mouth.
std::vector<Socket> socketsOf(const TruePanel& p, const TruePanel* inside) {
  if (!p.joiner) return {};
  const auto socket = [](const TruePanel& in, double reach, bool beyond, const Rib& mouth, int endRib) {
    const Rib& end = in.rib(endRib);
    return Socket{
        reach, beyond, mouth.thickness, end.thickness, woodOf(in.design.ribs, mouth), woodOf(in.design.ribs, end)};
  };
  std::vector<Socket> out{socket(p, p.joiner->reach, false, p.frame.ribs.front(), p.joiner->toRib)};
  if (inside)
    out.push_back(socket(*inside, p.joiner->reachInside, true, inside->frame.ribs.back(), p.joiner->toRibInside));
  return out;
}

/// How hard the join at its root is worked.
void loadJoin(TruePanel& p, const TruePanel* inside) {
  std::vector<BracePlates> plates;
  for (const Brace& b : p.join.braces) {
    const BraceLeg& shorter = b.inner.length < b.outer.length ? b.inner : b.outer;
    plates.push_back({p.design.join.braces[static_cast<std::size_t>(b.number)], b.depthRoot, shorter.length,
                      (b.depthRoot + shorter.depthEnd) / 2});
  }
  p.strength.join = joinStrength(p.design, p.strength.bending.load, plates, socketsOf(p, inside));
  const JoinStrength& s = p.strength.join;
  const LoadCase::What load = p.strength.bending.worst.what;
  const auto check = [&](BayCheck::What what, double stress, double reserve) {
    return BayCheck{what, stress, stress * reserve, load};
  };
  for (std::size_t i = 0; i < s.braces.size(); ++i)
    addJoinChecks(p,
                  {check(BayCheck::What::brace, s.braces[i].stress, s.braces[i].reserve),
                   check(BayCheck::What::braceGlue, s.braces[i].glueStress, s.braces[i].glueReserve)},
                  p.join.braces[i].spar);
  const double crush = s.crushArea > 0 ? s.crushForce / s.crushArea : 0;
  addJoinChecks(p,
                {check(BayCheck::What::joiner, s.rodStress, s.rodReserve),
                 check(BayCheck::What::socket, s.bearing, s.socketReserve),
                 check(BayCheck::What::ribs, crush, s.crushReserve)},
                p.join.braces.empty() ? 0 : p.join.braces.front().spar);
}

/// Its strength, when the loads of the whole wing are known.
void loadPanel(TruePanel& p, const TruePanel* inside, const std::vector<LoadCase>& cases) {
  p.strength.bending = strengthOf(p.design, p.frame.spars, p.strength.skin, aloneSpars(p.design, p.shape.loft), cases);
  if (p.sheet) p.strength.cloth = clothReserve(p.design, p.shape.loft, cases);
  p.strength.core = coreStrength(p.design, p.shape.loft, p.frame.spars, cases);
  p.strength.bays = bayChecks(p.design, p.shape.loft, p.frame, p.strength.skin, cases);
  loadJoin(p, inside);
}

bool hasAileron(const WholeWing& w) {
  return std::any_of(w.panels.begin(), w.panels.end(), [](const TruePanel& p) {
    return std::any_of(p.design.surfaces.begin(), p.design.surfaces.end(),
                       [](const Surface& s) { return rolls(s.kind); });
  });
}

/// Even ones, each panel as stiff all along as its twist test says, where it has been made.
std::vector<TwistStrip> stripsOf(const WholeWing& w) {
  std::vector<TwistStrip> strips;
  // One that was only thought of counts while none is decided.
  const bool tried = w.mirrored && w.panels.front().design.flying.aileronChord > 0 && !hasAileron(w);
  for (const TruePanel& p : w.panels) {
    const double root = meanLineMoment(p.shape.rootSection), tip = meanLineMoment(p.shape.tipSection),
                 span = p.shape.loft.span();
    const Flying& f = p.design.flying;
    const double ahead = p.strength.noseBox ? p.strength.noseBox->ahead.value_or(0) / p.shape.loft.frameAt(0).chord : 0;
    constexpr int steps = 12; // a panel
    for (int i = 0; i < steps; ++i) {
      const double from = span * i / steps, to = span * (i + 1) / steps, middle = (from + to) / 2;
      const ChordFrame frame = p.shape.loft.frameAt(middle);
      TwistStrip s{p.design.inboard + from,
                   p.design.inboard + to,
                   frame.chord,
                   p.strength.twist ? p.strength.twist->stiffness : 0,
                   twistAxis(p.design, p.frame.spars, frame, ahead),
                   root + (tip - root) * middle / span,
                   0};
      if (tried && (s.from + s.to) / 2 > f.aileronFrom * w.planform.halfSpan) s.aileron = f.aileronChord;
      for (const SurfaceMade& made : p.surfaces)
        if (rolls(p.design.surfaces[static_cast<std::size_t>(made.line.surface)].kind) && w.mirrored &&
            made.line.covers(middle))
          s.aileron = std::clamp(made.share, 0.01, 0.95);
      strips.push_back(s);
    }
  }
  return strips;
}

/// Needs the twist tests of all panels.
std::optional<SoftWing> softWingOf(const WholeWing& w) {
  for (const TruePanel& p : w.panels)
    if (!p.strength.twist || p.strength.twist->stiffness <= 0) return std::nullopt;
  return softWing(stripsOf(w), liftSlope(w.planform.aspect), w.panels.front().design.flying.diveSpeed);
}

/// Whether something upright stands at the spar all along the bay.
bool closesNose(const TruePanel& p, const SparBay& bay) {
  const auto k = static_cast<std::size_t>(bay.spar);
  const Spar& spar = p.design.spars[k];
  return spar.kind == SparKind::fullDepth || webWidthAt(spar, p.frame.spars[k].share(bay.to)) > 0;
}

/// What a dive does to the sheet of noses that a web closes.
void addDiveChecks(WholeWing& w) {
  const double speed = w.panels.front().design.flying.diveSpeed;
  if (speed <= 0) return;
  const std::vector<TwistStrip> strips = stripsOf(w);
  for (TruePanel& p : w.panels) {
    std::vector<SparBay*> closed;
    for (SparBay& bay : p.strength.bays)
      if (p.strength.noseBox && p.strength.noseBox->spar == bay.spar && closesNose(p, bay)) closed.push_back(&bay);
    const auto boxes = madeInParallel(closed.size(), [&](std::size_t i) {
      return noseBoxOf(p.design, p.shape.loft, p.frame.ribs[static_cast<std::size_t>(closed[i]->bay - 1)]);
    });
    for (std::size_t i = 0; i < closed.size(); ++i)
      if (boxes[i])
        checkTwistedSheet(p.design, *boxes[i], sectionTorque(strips, speed, p.design.inboard + closed[i]->from),
                          closed[i]->to - closed[i]->from, *closed[i]);
  }
}

/// Without its loads and twist tests. Its panels stay where they are while these go on.
void workWing(WholeWing& w, std::vector<PanelBrief> briefs, TwistTests& tests) {
  settleBlocks(briefs);
  w.mirrored = briefs.front().mirrored;
  std::vector<Panel> shapes;
  std::vector<double> gammas;
  for (const PanelBrief& b : briefs) shapes.push_back(b.panel), gammas.push_back(b.gamma);
  w.planform = planformOf(shapes);
  w.effectiveDihedral = effectiveDihedral(shapes, gammas);
  w.inSpace = framesInSpace(briefs);
  w.panels.reserve(briefs.size()); // each panel is shown the one before it
  for (PanelBrief& b : briefs) {
    const TruePanel* inside = w.panels.empty() ? nullptr : &w.panels.back();
    PanelShape shape = shapeOf(b, inside ? &inside->shape : nullptr);
    TruePanel& p = w.panels.emplace_back(std::move(b), std::move(shape));
    workPanel(p, inside, tests);
    w.fromAbove += p.join.fromAbove;
    w.tipRise += p.join.rise;
  }
  runOver(w);
}

/// What it must carry; `gust` is the whole model's load factor in a gust.
void putLoads(WholeWing& w, double gust) {
  std::vector<PanelBrief> briefs;
  std::vector<LinearRun> mass;
  for (const TruePanel& p : w.panels) {
    briefs.push_back(p.design);
    mass.insert(mass.end(), p.mass.runs.begin(), p.mass.runs.end());
  }
  w.loads = loadCases(briefs, mass, gust);
}

/// How it bears its loads.
void loadWing(WholeWing& w) {
  double slope = 0;
  for (std::size_t i = 0; i < w.panels.size(); ++i) {
    TruePanel& p = w.panels[i];
    loadPanel(p, i > 0 ? &w.panels[i - 1] : nullptr, w.loads);
    if (i == 0) slope = w.held.rootTurnUnder(p.strength.bending.worst.what);
    w.tipDeflection += slope * p.shape.loft.span() + p.strength.bending.tipDeflection;
    slope += p.strength.bending.tipSlope;
  }
  addDiveChecks(w);
}

} // namespace

const TruePanel& WholeWing::panelAt(int station) const {
  for (const TruePanel& p : panels)
    if (station <= p.shape.stations.all.back().number) return p;
  return panels.back();
}

static std::variant<TrueWing, std::vector<Finding>> workOut(const Design& d);

static OtherHand toldOf(const WholeWing& w) {
  const auto& tip = w.panels.back().tip;
  OtherHand out{w.planform, w.fromAbove, tip ? tip->area : 0, tip ? tip->reach : 0, {}, {}};
  for (const TruePanel& p : w.panels) {
    out.grams.push_back(gramsOf(p.parts));
    out.pieces.push_back(0);
    for (const Part& part : p.parts) out.pieces.back() += part.toldWith(Hand::left) ? part.count : 0;
  }
  return out;
}

/// A left hand of its own, from a design of its own. Gives back why there can be none.
static std::vector<Finding> addLeftHand(TrueWing& w) {
  std::vector<std::vector<double>> gammas;
  for (const WholeWing& wing : w.wings) {
    gammas.emplace_back();
    for (const TruePanel& p : wing.panels) gammas.back().push_back(p.design.gamma);
  }
  auto made = workOut(leftOf(w.design, gammas));
  std::vector<Finding> out;
  if (const auto* why = std::get_if<std::vector<Finding>>(&made)) {
    for (const Finding& f : *why) out.push_back(f), out.back().what.insert(0, leftHandSays);
    return out;
  }
  auto left = std::make_shared<TrueWing>(std::move(std::get<TrueWing>(made)));
  for (std::size_t i = 0; i < w.wings.size(); ++i)
    if (w.wings[i].mirrored) runOverBoth(w.wings[i], left->wings[i]);
  for (std::size_t i = 0; i < w.wings.size(); ++i)
    if (w.wings[i].mirrored) w.wings[i].other = toldOf(left->wings[i]), left->wings[i].other = toldOf(w.wings[i]);
  w.left = std::move(left);
  return out;
}

static std::variant<TrueWing, std::vector<Finding>> workOut(const Design& d) {
  if (auto contradictions = impossible(d); !contradictions.empty()) return contradictions;
  TrueWing w;
  w.design = d;
  if (!d.plan.sheets.empty()) w.plan = judge(d.plan, d.unit);
  TwistTests tests; // declared after the wings that they read, so that they end first
  w.wings.reserve(d.wings.size());
  for (std::size_t i = 0; i < d.wings.size(); ++i)
    workWing(w.wings.emplace_back(), briefsOf(d, static_cast<int>(i)), tests);
  const Planform& main = w.wings.front().planform;
  w.gustFactor = gustFactor(d.flying.mass, d.flying.gust, d.flying.airSpeed, main.area, main.meanChord, main.aspect);
  for (WholeWing& wing : w.wings) putLoads(wing, w.gustFactor);
  holdWings(w.wings, d.wings);
  for (std::size_t i = 0; i < w.wings.size(); ++i) addPosts(w.wings[i], d.wings[i].posts);
  for (WholeWing& wing : w.wings) loadWing(wing);
  std::size_t tested = 0;
  for (WholeWing& wing : w.wings)
    for (TruePanel& p : wing.panels) p.strength.twist = tests[tested++].get();
  for (WholeWing& wing : w.wings) wing.soft = softWingOf(wing);
  if (handsDiffer(d))
    if (auto impossibleLeft = addLeftHand(w); !impossibleLeft.empty()) return impossibleLeft;
  return w;
}

TrueWing withRecords(const TrueWing& wing, Records records) {
  TrueWing out = wing;
  out.asked = std::make_shared<AskedOnce>();
  if (wing.left) out.left = std::make_shared<const TrueWing>(withRecords(*wing.left, recordsOfLeft(records)));
  out.design.records = std::move(records);
  std::vector<std::string> looked;
  for (const Looked& l : out.design.records.looked) looked.push_back(l.key);
  for (WholeWing& whole : out.wings)
    for (TruePanel& panel : whole.panels) {
      panel.design.looked = looked;
      for (Hold& hold : panel.holds) hold.looked = std::find(looked.begin(), looked.end(), hold.key) != looked.end();
    }
  return out;
}

std::variant<TrueWing, std::vector<Finding>> work(const Design& design) {
  try {
    return workOut(design);
  } catch (const std::bad_alloc&) {
    return std::vector{Finding{"work.memory",
                               Severity::serious,
                               Stage::panels,
                               "There is not enough memory to work this out",
                               "",
                               "Take back the last change, or close other programs.",
                               {},
                               {}}};
  }
}

} // namespace eup
