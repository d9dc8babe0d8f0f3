// What the builder should know about the wing that follows from the decisions.
#include "core/geometry/polyline.h"
#include "core/report/finder.h"
#include "core/report/report_parts.h"
#include "core/strength/cap_on_core.h"
#include <algorithm>
#include <fmt/format.h>
#include <map>

namespace eup {
namespace {

std::string placeName(const TruePanel& w, const Rib& rib, const Point& at) {
  for (std::size_t k = 0; k < rib.sparX.size(); ++k) {
    const Spar& s = w.design.spars[k];
    const double half = (s.kind == SparKind::caps ? sparWidth(s, 0) : s.sheet) / 2 + w.design.ribs.rim;
    if (std::abs(at.x() - rib.sparX[k]) <= half) return fmt::format("at the {}", s.name);
  }
  if (at.x() < 0.15 * rib.frame.chord) return "at the nose";
  if (at.x() > 0.7 * rib.frame.chord) return "at the tail";
  return "between the spars";
}

struct Cure {
  const char* remedy;
  std::vector<std::string> decisions;
};

/// What helps where wood runs thin.
Cure cureAt(std::string_view place) {
  if (place == "at the tail")
    return {"Stop the rib further forward with wider trailing edge stock, or lower the least wood if you accept it.",
            {"trailingEdge.width", "ribs.rim"}};
  if (place == "at the nose")
    return {
        "Let the leading edge in less high or less deep, use thinner sheet, or lower the least wood if you accept it.",
        {"leadingEdge.height", "sheeting.thickness", "ribs.rim"}};
  return {"Use shallower caps or thinner sheet there, or lower the least wood if you accept it.",
          {"spars.0.top.depth", "sheeting.thickness", "ribs.rim"}};
}

void thinFindings(Finder f) {
  std::map<std::string, SharedFault> byPlace;
  SharedFault apart, gone;
  for (const Rib& rib : f.w.frame.ribs) {
    if (rib.pieces == 0) gone.add(rib.number, 1);
    if (rib.pieces > rib.wantedPieces) apart.add(rib.number, rib.pieces);
    for (const ThinPlace& thin : rib.thin) {
      SharedFault& fault = byPlace[placeName(f.w, rib, thin.at)];
      if (fault.ribs.empty() || fault.ribs.back() != rib.number)
        fault.add(rib.number, f.w.design.ribs.rim - thin.thickness);
    }
  }
  if (!gone.ribs.empty())
    f.say({"ribs.gone",
           Severity::serious,
           Stage::ribs,
           fmt::format("Nothing is left of {}", ribNames(gone.ribs)),
           "Sheeting, strips and stock take all of the section.",
           "Use thinner sheet or smaller stock, or a thicker section.",
           gone.ribs.front(),
           {"sheeting.thickness", "capStrips.thickness", "leadingEdge.width", "trailingEdge.width"}});
  if (!apart.ribs.empty())
    f.say({"ribs.apart",
           Severity::serious,
           Stage::ribs,
           fmt::format("{} {} apart", ribNames(apart.ribs), apart.ribs.size() == 1 ? "comes" : "come"),
           fmt::format("The cuts leave {} pieces of R{}.", static_cast<int>(apart.worst), apart.worstRib),
           "Make the caps shallower, the sheet thinner, or move the spar forward to where the section is deep.",
           apart.worstRib,
           {"spars.0.top.depth", "spars.0.bottom.depth", "sheeting.thickness"}});
  for (const auto& [place, fault] : byPlace) {
    const Cure cure = cureAt(place);
    f.say({"ribs.thin", Severity::warning, Stage::ribs,
           fmt::format("{} thin {}", ribNames(fault.ribs) + (fault.ribs.size() == 1 ? " is" : " are"), place),
           fmt::format("{} of wood is left at R{}; {} is the least you asked for.",
                       f.len(f.w.design.ribs.rim - fault.worst), fault.worstRib, f.len(f.w.design.ribs.rim)),
           cure.remedy, fault.worstRib, cure.decisions});
  }
}

void notchFindings(Finder f) {
  for (const SparLine& line : f.w.frame.spars) {
    const Spar& spar = f.w.design.spars[static_cast<std::size_t>(line.index)];
    const std::string path = fmt::format("spars.{}", line.index);
    SharedFault deep, off, ahead, behind;
    for (const Rib& rib : f.w.frame.ribs) {
      if (!line.reaches(rib.t())) continue;
      const double x = rib.sparX[static_cast<std::size_t>(line.index)], c = rib.frame.chord;
      const Cap top = capAt(spar.top, line.share(rib.t())), bottom = capAt(spar.bottom, line.share(rib.t()));
      double taken = 0, room = line.upperSeat.at(rib.t()).y() - line.lowerSeat.at(rib.t()).y();
      if (spar.kind == SparKind::caps) taken = (top.fitted ? top.depth : 0) + (bottom.fitted ? bottom.depth : 0);
      if (taken >= room || room <= 0) deep.add(rib.number, taken - room);
      for (const Notch& n : rib.notches)
        if (const double cap = (n.face == Face::upper ? top : bottom).depth;
            n.depth - cap > 1.5 * cap + f.w.design.sheeting.thickness + 1)
          off.add(rib.number, n.depth);
      const double half = (spar.kind == SparKind::caps ? std::max(top.width, bottom.width) : spar.sheet) / 2;
      const double nose = f.w.design.leading.onRib(rib.turn), tail = f.w.design.trailing.onRib(rib.turn);
      if (x - half < nose) ahead.add(rib.number, nose - x + half);
      if (x + half > c - tail) behind.add(rib.number, x + half - c + tail);
    }
    if (!deep.ribs.empty())
      f.say({"spar.deep",
             Severity::serious,
             Stage::ribs,
             fmt::format("The {} is deeper than {}", spar.name, ribNames(deep.ribs)),
             fmt::format("{} too deep at R{}.", f.len(deep.worst), deep.worstRib),
             "Use shallower caps, one cap only, or a thicker section.",
             deep.worstRib,
             {path + ".top.depth", path + ".bottom.depth"}});
    if (!ahead.ribs.empty())
      f.say({"spar.nose",
             Severity::warning,
             Stage::ribs,
             fmt::format("The {} meets the leading edge stock", spar.name),
             fmt::format("By {} at R{}.", f.len(ahead.worst), ahead.worstRib),
             "Move the spar aft, or use a narrower leading edge.",
             ahead.worstRib,
             {path + ".rootFraction", path + ".tipFraction", "leadingEdge.width"}});
    if (!behind.ribs.empty())
      f.say({"spar.tail",
             Severity::warning,
             Stage::ribs,
             fmt::format("The {} meets the trailing edge stock", spar.name),
             fmt::format("By {} at R{}.", f.len(behind.worst), behind.worstRib),
             "Move the spar forward, or use a narrower trailing edge.",
             behind.worstRib,
             {path + ".rootFraction", path + ".tipFraction", "trailingEdge.width"}});
    if (line.worstGap > 0.5)
      f.say({"spar.gap",
             Severity::note,
             Stage::ribs,
             fmt::format("The straight {} leaves the surface by {}", spar.name, f.len(line.worstGap)),
             fmt::format("Most at {} from the root, since its line does not keep one chord fraction or the cover over "
                         "it changes.",
                         f.len(line.worstGapAt)),
             "The notches follow the straight spar; pack or plane the difference.",
             {},
             {path + ".rootFraction", path + ".tipFraction"}});
  }
}

} // namespace

void shapeFindings(Finder f) {
  const PanelBrief& d = f.w.design;
  if (d.panel.tipChord > d.panel.rootChord)
    f.say({"panel.taper",
           Severity::note,
           Stage::panels,
           "The tip chord is larger than the root chord",
           fmt::format("{} against {}.", f.len(d.panel.tipChord), f.len(d.panel.rootChord)),
           "Right for some wings; check that they are not changed over.",
           {},
           {"panel.rootChord", "panel.tipChord"}});
  if (d.panel.washoutDeg < 0)
    f.say(d.outermost() ? Finding{"panel.washin",
                                  Severity::warning,
                                  Stage::panels,
                                  "The tip is turned nose up",
                                  fmt::format("{:.2f}° of washin: the tip stalls first.", -d.panel.washoutDeg),
                                  "Washout is entered as a positive angle.",
                                  {},
                                  {"panel.washout"}}
                        : Finding{"panel.washin",
                                  Severity::note,
                                  Stage::panels,
                                  fmt::format("Panel {}'s outer end is turned nose up", d.id.panel + 1),
                                  fmt::format("{:.2f}° of washin: the wing stalls there before it does at its root.",
                                              -d.panel.washoutDeg),
                                  "Right where it is wanted. Washout is entered as a positive angle.",
                                  {},
                                  {"panel.washout"}});
  SharedFault bay;
  for (std::size_t i = 1; i < f.w.frame.ribs.size(); ++i)
    if (f.w.frame.ribs[i].t() - f.w.frame.ribs[i - 1].t() <
        (f.w.frame.ribs[i].thickness + f.w.frame.ribs[i - 1].thickness) / 2)
      bay.add(f.w.frame.ribs[i].number, 1);
  if (!bay.ribs.empty())
    f.say({"ribs.overlap",
           Severity::warning,
           Stage::ribs,
           fmt::format("{} touch the rib before", ribNames(bay.ribs)),
           "The bay is no wider than the ribs.",
           "Move them apart.",
           bay.ribs.front(),
           {"ribs.count", "ribs.spacing", "ribs.stations"}});
  if (std::abs(f.w.frame.ribs.front().t()) > 1e-6 || std::abs(f.w.frame.ribs.back().t() - d.panel.span) > 1e-6)
    f.say({"ribs.ends",
           Severity::warning,
           Stage::ribs,
           "The panel has no rib at one of its ends",
           fmt::format("The ribs run from {} to {}; the panel from 0 to {}.", f.len(f.w.frame.ribs.front().t()),
                       f.len(f.w.frame.ribs.back().t()), f.len(d.panel.span)),
           "Put a rib on the root and on the tip.",
           {},
           {"ribs.stations"}});
}

void strengthFindings(Finder f) {
  const PanelBrief& d = f.w.design;
  if (f.w.strength.bending.rootStiffness <= 0)
    f.say({"spars.none",
           Severity::serious,
           Stage::spars,
           "No spar carries the lift",
           "There is neither a cap nor a full-depth spar, nor stock along an edge.",
           "Add a spar, or strips along the edges.",
           {},
           {}});
  if (const auto& bare = f.w.strength.bending.bareFrom; bare && f.w.strength.bending.rootStiffness > 0) {
    const SpanLoad& load = f.w.strength.bending.load;
    const double moment = load.moment(d.inboard + *bare);
    constexpr double little = 0.05; // of the bending at the panel's root: edges and sheet are known to carry that
    f.say({"spars.short",
           moment > little * load.moment(d.inboard) ? Severity::warning : Severity::note,
           Stage::spars,
           fmt::format("No spar beyond {}", f.len(*bare)),
           fmt::format("Edges and sheet carry {:.0f} N·mm of bending there; that is not reckoned.", moment),
           "Let a spar run on, unless the edges and the sheet there are known to do.",
           {},
           {"spars.0.stops", "spars.0.stopsAt"}});
  }
  for (const EdgeStrength& e : f.w.strength.bending.edges) {
    if (e.worstReserve >= usualReserve || f.w.foam) continue; // a core's skins are told with the foam
    const std::string edge = e.leading ? "leadingEdge" : "trailingEdge";
    f.say({e.leading ? "edge.leading" : "edge.trailing",
           e.worstReserve < 1 && e.share > 0.5 ? Severity::serious : Severity::warning,
           Stage::spars,
           fmt::format("{} in the {} edge, which is a spar here", e.worstReserve < 1 ? "Too little" : "Little reserve",
                       e.leading ? "leading" : "trailing"),
           fmt::format("Strength is {:.2f} of the stress, {} from the root, {}. {} or more is usual.", e.worstReserve,
                       f.len(e.worstAt), wordsOf(e.worstCase), usualReserve),
           "Use a wider or harder strip, add a spar, or take a lower load factor.",
           {},
           {edge + ".width", edge + ".material", "flying.loadFactor"}});
  }
  for (const SparStrength& s : f.w.strength.bending.spars) {
    if (s.root.bent.empty() || s.worstReserve >= usualReserve) continue;
    const std::string path = fmt::format("spars.{}", s.spar), &name = d.spars[static_cast<std::size_t>(s.spar)].name;
    f.say({"spar.reserve",
           s.worstReserve < 1 ? Severity::serious : Severity::warning,
           Stage::spars,
           s.worstReserve < 1 ? fmt::format("The {} will not carry the load", name)
                              : fmt::format("Little reserve in the {}", name),
           fmt::format("Strength is {:.2f} of the stress, {} from the root, {}. {} or more is usual.", s.worstReserve,
                       f.len(s.worstAt), wordsOf(s.worstCase), usualReserve),
           "Use larger or stronger caps, or a lower load factor.",
           {},
           {path + ".top.width", path + ".top.depth", path + ".top.material", "flying.loadFactor"}});
  }
}

/// Caps that would buckle between ribs, webs that shear, caps without webs.
void bayFindings(Finder f) {
  const PanelBrief& d = f.w.design;
  if (const Sheeting& s = d.sheeting; s.carries && !d.spars.empty())
    for (const Face face : {Face::upper, Face::lower})
      if (s.on(face == Face::upper) && !sheetReaches(d, f.w.shape.loft, face))
        f.say({"sheet.short",
               Severity::warning,
               Stage::spars,
               fmt::format("The sheet {} does not reach the {}", face == Face::upper ? "on top" : "below",
                           d.spars.front().name),
               "It is glued to nothing that it could carry with, and is not counted.",
               "End it at that spar, or do not count it.",
               {},
               {"sheeting.to", "sheeting.fraction", "sheeting.carries"}});
  for (const SparLine& line : f.w.frame.spars) {
    const Spar& spar = f.w.design.spars[static_cast<std::size_t>(line.index)];
    const std::string path = fmt::format("spars.{}", line.index);
    const SparStrength& strength = f.w.strength.bending.spars[static_cast<std::size_t>(line.index)];
    const double carries = strength.share;
    constexpr const char* edgeCure = "It bends with the wing: make the spar stiffer, or the strip of softer wood.";
    const auto weak = [&](BayCheck::What what, const char* key, const std::string& words, const char* cure,
                          std::vector<std::string> decisions) {
      SharedFault fault;
      double least = 1e9;
      for (const SparBay& b : f.w.strength.bays)
        for (const BayCheck& c : b.checks)
          if (b.spar == line.index && c.what == what && c.reserve() < usualReserve) {
            fault.add(f.w.frame.ribs[static_cast<std::size_t>(b.bay - 1)].number, 1 / c.reserve());
            least = std::min(least, c.reserve());
          }
      if (fault.ribs.empty()) return;
      f.say({key,
             // A spar that carries little hands it on when it gives.
             least < 1 && carries > 0.5 ? Severity::serious : Severity::warning, Stage::spars,
             fmt::format("{} beyond {}", words, ribNames(fault.ribs)),
             fmt::format("Strength is {:.2f} of the stress beyond R{}. {} or more is usual.", least, fault.worstRib,
                         usualReserve),
             cure, fault.worstRib, std::move(decisions)});
    };
    if (coreUnder(f.w.design, spar))
      weak(BayCheck::What::buckling, "spar.buckling", fmt::format("The {}'s pressed cap may wrinkle", spar.name),
           "Take a firmer core, or a thicker cap.", {coreDecision(f.w.design, spar, path), path + ".top.depth"});
    else
      weak(BayCheck::What::buckling, "spar.buckling", fmt::format("The {}'s pressed cap may buckle", spar.name),
           "Set ribs closer, fit webs, sheet over the cap, or make it thicker.",
           {path + ".webs", path + ".top.depth", "ribs.count"});
    weak(BayCheck::What::web, "spar.web", fmt::format("The {}'s webs are weak", spar.name),
         "Use thicker or stronger webs there.", {path + ".webThickness", path + ".webMaterial"});
    weak(BayCheck::What::webBuckling, "spar.webBuckling", fmt::format("The {}'s webs may buckle", spar.name),
         spar.webGrain == Grain::along ? "Turn their grain upright, or use thicker webs."
                                       : "Use thicker webs, or set ribs closer.",
         {path + ".webGrain", path + ".webThickness"});
    weak(BayCheck::What::glue, "spar.webGlue", fmt::format("The {}'s webs may come off the caps", spar.name),
         "Use thicker webs, or another glue.", {path + ".webThickness", "glue"});
    weak(BayCheck::What::leadingEdge, "edge.leading", "The leading edge is bent too far", edgeCure,
         {"leadingEdge.material", path + ".top.depth"});
    weak(BayCheck::What::trailingEdge, "edge.trailing", "The trailing edge is bent too far", edgeCure,
         {"trailingEdge.material", path + ".top.depth"});
    weak(BayCheck::What::sheet, "sheet.weak", "The sheet that carries is weak",
         "Use thicker or harder sheet, or a stronger spar.", {"sheeting.thickness", "sheeting.material"});
    if (!f.w.foam) // told with the foam
      weak(BayCheck::What::sheetBuckling, "sheet.buckling", "The sheet that carries may buckle",
           "Set ribs closer, use thicker sheet, or do not count it.",
           {"sheeting.thickness", "ribs.count", "sheeting.carries"});
    weak(BayCheck::What::sheetTwist, "sheet.twist", "A dive twists the nose more than its sheet will bear",
         "Use thicker or harder sheet, or dive slower.",
         {"sheeting.thickness", "sheeting.material", "flying.diveSpeed"});
    weak(BayCheck::What::sheetTwistBuckling, "sheet.twistBuckling", "In a dive the nose's sheet may buckle",
         "Use thicker sheet, set ribs closer, or dive slower.",
         {"sheeting.thickness", "ribs.count", "flying.diveSpeed"});
    if (spar.kind == SparKind::caps && spar.top.fitted && spar.bottom.fitted && spar.webs == Webs::none &&
        carries > 0.3 && strength.worstReserve < 4)
      f.say({"spar.webs",
             Severity::note,
             Stage::spars,
             fmt::format("Nothing but ribs stands between the {}'s caps", spar.name),
             "They are reckoned to work together; without webs they slip past each other a little, and the wing bends "
             "more.",
             "Fit webs, grain upright, where the wing is worked hard.",
             {},
             {path + ".webs"}});
  }
}

void massFinding(const TrueWing& aircraft, std::vector<Finding>& out) {
  double parts = 0;
  for (const WholeWing& wing : aircraft.wings)
    for (std::size_t k = 0; k < wing.panels.size(); ++k) {
      const double hand = wing.panels[k].mass.grams();
      parts += hand + (wing.other ? wing.other->grams[k] : wing.mirrored ? hand : 0);
    }
  const double model = aircraft.design.flying.mass;
  if (parts <= model) return;
  out.push_back(
      {"mass.model",
       Severity::warning,
       Stage::spars,
       "The wing's parts weigh more than the whole model is said to",
       fmt::format("All parts, both hands: {}; the model: {}.", told(parts, Quantity::mass, aircraft.design.unit),
                   told(model, Quantity::mass, aircraft.design.unit)),
       "Correct the model's mass, or choose lighter wood, thinner parts or a lighter covering.",
       {},
       {"flying.mass", "wings.0.panels.0.ribs.material", "wings.0.panels.0.stiffening.covering"}});
}

/// A wing that its own lift, or its ailerons, would twist without end near the speed that it is dived at.
void softFindings(const WholeWing& wing, std::vector<Finding>& out) {
  const double dive = wing.panels.front().design.flying.diveSpeed;
  if (!wing.soft || dive <= 0) return;
  constexpr double margin = 1.5; // builders' stiffness varies by as much
  const auto say = [&](const std::optional<double>& speed, const char* key, const char* what, const char* cure,
                       std::vector<std::string> decisions) {
    if (!speed || *speed >= margin * dive) return;
    out.push_back({key,
                   *speed < dive ? Severity::serious : Severity::warning,
                   Stage::spars,
                   what,
                   fmt::format("At about {:.0f} m/s, and the dive is {:.0f} m/s. Strip theory and the twist test's "
                               "stiffness: a hint.",
                               *speed, dive),
                   cure,
                   {},
                   std::move(decisions)});
  };
  say(wing.soft->divergence, "soft.divergence", "The wing may twist off in the dive",
      "Stiffen it against twist, set the spar farther forward, or dive slower.", {"flying.diveSpeed"});
  say(wing.soft->reversal, "soft.reversal", "The ailerons may work backwards in the dive",
      "Stiffen it against twist, use narrower ailerons, or dive slower.", {"flying.diveSpeed", "flying.aileronChord"});
}

void tipFindings(Finder f) {
  const Tip& t = f.w.design.tip;
  if (f.w.tip && t.kind == TipKind::own && selfCrossing(simplified(f.w.tip->edge, 0)))
    return f.say({"tip.crossing",
                  Severity::serious,
                  Stage::panels,
                  "The tip's outline crosses itself",
                  "Its places are joined in the order in which they stand, from the leading edge round.",
                  "Put them in order, or join them by straight lines.",
                  {},
                  {"tip.outline", "tip.rounding"}});
  if (!f.w.tip || (t.kind != TipKind::outline && t.kind != TipKind::bow)) return;
  const double deep = t.kind == TipKind::outline ? t.width : t.thickness * t.strips;
  const double chord = f.w.design.panel.tipChord,
               room = std::min({t.reach, t.farthest * chord, (1 - t.farthest) * chord});
  if (deep < room / 2) return; // the ellipses' sharpest bend is no tighter than that for the tips that are usual
  f.say({"tip.deep",
         Severity::warning,
         Stage::panels,
         "The tip's stock is too deep for its outline",
         fmt::format("{} of it, and the outline is {} deep where it is least.", f.len(deep), f.len(room)),
         "Use fewer or thinner strips, narrower pieces, or a tip that reaches farther.",
         {},
         {"tip.reach", "tip.thickness", "tip.strips", "tip.width"}});
}

namespace {

/// Numbers of ribs that were asked to be thick or doubled, and are not there.
void ribListFindings(Finder f) {
  const int count = static_cast<int>(f.w.frame.ribs.size());
  for (const auto& [key, numbers] :
       {std::pair("ribs.thick", &f.w.design.ribs.thick), std::pair("ribs.doubled", &f.w.design.ribs.doubled)})
    for (int n : *numbers)
      if (n > count)
        f.say({"ribs.listed",
               Severity::warning,
               Stage::ribs,
               fmt::format("There is no rib {} in the panel", n),
               fmt::format("It has {}; they are counted from its root rib, which is 1.", count),
               "Take the number out of the list, or add ribs.",
               {},
               {key}});
}

/// Turned ribs leave a corner of the panel at either end without support, on one edge.
void cornerFindings(Finder f) {
  double turn = 0, widest = 0;
  for (const Rib& rib : f.w.frame.ribs) turn = rib.turn != 0 ? rib.turn : turn;
  if (turn == 0 || f.w.frame.ribs.size() < 3) return;
  for (std::size_t i = 1; i < f.w.frame.ribs.size(); ++i)
    widest = std::max(widest, f.w.frame.ribs[i].t() - f.w.frame.ribs[i - 1].t());
  std::vector<Rib> all(f.w.frame.ribs.begin() + 1, f.w.frame.ribs.end() - 1);
  for (const Rib& rib : f.w.frame.riblets)
    if (rib.kind == RibKind::crossing) all.push_back(rib);
  const double span = f.w.shape.loft.span();
  for (const bool tail : {false, true}) {
    double first = span, last = 0; // of the places where ribs reach this edge
    for (const Rib& rib : all) {
      const double t = rib.inPanel({tail ? rib.frame.chord : 0, 0}).y();
      if (t > 0) first = std::min(first, t);
      if (t < span) last = std::max(last, t);
    }
    for (const bool atRoot : {true, false}) {
      const double bare = atRoot ? first : span - last;
      if (bare < 1.7 * widest) continue;
      f.say({"ribs.corner",
             Severity::note,
             Stage::ribs,
             fmt::format("No rib reaches the {} edge near the {}", tail ? "trailing" : "leading",
                         atRoot ? "root" : "tip"),
             fmt::format("For {}; the bays are {} wide.", f.len(bare), f.len(widest)),
             "Add a short piece from the end rib, closer stations there, or ribs that cross.",
             {},
             {"ribs.direction", "ribs.angle", "ribs.crossing"}});
    }
  }
}

} // namespace

void twistFindings(Finder f) {
  const std::size_t crossings = crossingsIn(f.w.frame);
  if (crossings <= mostCrossings) return;
  f.say({"twist.many",
         Severity::note,
         Stage::spars,
         "So many ribs cross that the twist is not reckoned",
         fmt::format("They cross in {} places; up to {} are reckoned with.", crossings, mostCrossings),
         "Fewer ribs, or none that cross, for a figure.",
         {},
         {"ribs.count", "ribs.spacing", "ribs.crossing"}});
}

void ribFindings(Finder f) {
  thinFindings(f);
  notchFindings(f);
  ribListFindings(f);
  cornerFindings(f);
  clashFindings(f);
}

} // namespace eup
