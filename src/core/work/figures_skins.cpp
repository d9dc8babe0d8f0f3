// Figures and findings of skins: their flat patterns, how they bend, what they are made up of.
#include "core/geometry/polyline.h"
#include "core/work/bend_figure.h"
#include "core/work/finder.h"
#include <algorithm>
#include <cmath>

namespace eup {
namespace {

const char* developed = "the ruled panel laid flat, straight line by straight line";

/// "sheeted.0.": the decisions of a run of bays.
std::string bayPath(const Skin& skin) {
  return fmt::format("sheeted.{}.", skin.run);
}

/// What decides a skin's breadth.
std::vector<std::string> decidedBy(const Skin& skin) {
  if (skin.what == Skin::What::tail) return {"trailingEdge.width", "panel.rootChord", "panel.tipChord"};
  if (skin.what == Skin::What::bays)
    return {bayPath(skin) + "toRib", bayPath(skin) + "fromRib", "panel.rootChord", "trailingEdge.width"};
  return {"sheeting.fraction", "sheeting.to", "panel.rootChord", "panel.tipChord", "leadingEdge.width"};
}

std::string thicknessOf(const Skin& skin) {
  if (skin.what == Skin::What::bays) return bayPath(skin) + "thickness";
  return skin.what == Skin::What::tail ? "trailingEdge.sheet" : "sheeting.thickness";
}

std::string grainOf(const Skin& skin) {
  return skin.what == Skin::What::bays ? bayPath(skin) + "grain" : "sheeting.grain";
}

std::string layersOf(const Skin& skin) {
  return skin.what == Skin::What::bays ? bayPath(skin) + "layers" : "sheeting.layers";
}

void endFigures(const TruePanel& w, const Skin& skin, bool inner, FigureList& out) {
  const std::string key = fmt::format("skin.{}.{}", skin.key, inner ? "inner" : "outer");
  const FlatPattern& p = skin.pattern;
  const char* end = skin.what == Skin::What::bays ? (inner ? "at its inner end" : "at its outer end")
                    : !inner                      ? (w.design.outermost() ? "at the tip" : "at the next join")
                    : w.design.innermost()        ? "at the root"
                                                  : "at the join";
  const double width = inner ? p.innerWidth : p.outerWidth, angle = inner ? p.innerAngle : p.outerAngle;
  out.add({key + "Width", fmt::format("Width {}: {}", end, skin.name), width, Quantity::length, Stage::skins,
           "laid flat, along its end from its front edge to its rear one", "length of the surface between its edges",
           fmt::format("{} of chord {}", out.len(width),
                       out.len(w.shape.loft.frameAt(inner ? skin.inner : skin.outer).chord)),
           developed, decidedBy(skin), true});
  out.add({key + "Angle",
           fmt::format("End {}: {}", end, skin.name),
           std::abs(angle),
           Quantity::angle,
           Stage::skins,
           fmt::format("out of square to its front edge, its rear corner {}; cut the end before the long edge, which "
                       "would come out {} short",
                       angle >= 0 ? "farther out" : "farther in", out.len(std::abs(width * std::tan(angle)))),
           "between the line through both corners and square to the front edge; short by width × tan of it",
           fmt::format("{} × tan {} = {}", out.len(width), out.deg(std::abs(angle)),
                       out.len(std::abs(width * std::tan(angle)))),
           developed,
           {"panel.tipSetback", "panel.rootChord", "join.dihedral.angle"},
           true});
}

} // namespace

void skinFigures(const TruePanel& w, FigureList& out) {
  for (const Skin& skin : w.skins) {
    const std::string key = fmt::format("skin.{}.", skin.key), &name = skin.name;
    const FlatPattern& p = skin.pattern;
    endFigures(w, skin, true, out);
    endFigures(w, skin, false, out);
    out.add({key + "front",
             "Front edge: " + name,
             lengthOf(p.front),
             Quantity::length,
             Stage::skins,
             "laid flat, from end to end; left longer to be trimmed",
             "length of its front line on the surface",
             fmt::format("rear edge {}", out.len(lengthOf(p.rear))),
             developed,
             {"panel.span", "panel.tipSetback"}});
    out.add({key + "area", "Area: " + name, p.area, Quantity::area, Stage::skins, "of the flat pattern, one hand",
             "area inside its outline", told(p.area, Quantity::area, w.design.unit), developed, decidedBy(skin)});
    out.add({key + "misfit",
             "Misfit: " + name,
             p.misfit,
             Quantity::length,
             Stage::skins,
             fmt::format("half way along, over its whole width; its surface turns {} along one straight line",
                         out.deg(p.turn)),
             "width of the surface half way, less that of the pattern",
             fmt::format("{:.4f} mm", p.misfit),
             "a surface that turns cannot be laid flat exactly; what remains is stretched into the sheet",
             {"panel.washout", "panel.tipChord"}});
    const Material& wood = w.design.tables.named(skin.of.material);
    if (skin.what != Skin::What::tail)
      bendFigure(key + "bend", "Sharpest bend: " + name, skin.layersBend(), skin.layer(), wood,
                 dryBendRound(wood, skin.of.grainDeg),
                 fmt::format("of {} at R{}, rolled {}",
                             skin.of.layers > 1 ? "its innermost layer's outer face" : "its outer face", skin.bendRib,
                             skin.of.grainDeg == 0 ? std::string("across its grain")
                                                   : fmt::format("with its grain {}° off the span", skin.of.grainDeg)),
                 {thicknessOf(skin), grainOf(skin), layersOf(skin), "leadingEdge.width"}, Stage::skins, out);
    if (skin.of.layers > 1)
      out.add({key + "layers",
               "Inner layer is narrower: " + name,
               skin.innerLayerNarrower(),
               Quantity::length,
               Stage::skins,
               fmt::format("each of the {} than the one outside it, which is cut to the pattern", skin.of.layers),
               "thickness of a layer × what it is rolled round, from edge to edge",
               fmt::format("{} × {:.3f} rad", out.len(skin.layer()), skin.turned),
               "parallel curves",
               {layersOf(skin), thicknessOf(skin)},
               true});
    out.add(
        {key + "strips",
         "Sheets side by side: " + name,
         static_cast<double>(skin.strips),
         Quantity::count,
         Stage::skins,
         "edge-joined before they are cut",
         "width ÷ width of the sheets, upwards",
         fmt::format("{} ÷ {}", out.len(std::max(p.innerWidth, p.outerWidth)), out.len(w.design.cutList.sheetWidth)),
         "common practice",
         {"cutList.sheetWidth", decidedBy(skin).front()}});
    for (std::size_t i = 0; i < skin.joints.size(); ++i)
      out.add({fmt::format("{}joint.{}", key, i + 1),
               fmt::format("Joint {}: {}", i + 1, name),
               w.rib(skin.joints[i].rib).t(),
               Quantity::length,
               Stage::skins,
               fmt::format("on the middle of R{}, half the rib each, from {}", skin.joints[i].rib, innerEnd(w.design)),
               "the last rib that the stock reaches; below one rib sooner",
               fmt::format("stock {}", out.len(w.design.cutList.stock)),
               "common practice",
               {"cutList.stock", "ribs.count"}});
  }
}

/// Runs of bays that end on no rib, or lie over each other.
static void sheetedFindings(Finder f) {
  const int ribs = static_cast<int>(f.w.frame.ribs.size());
  const auto& all = f.w.design.sheeted;
  for (std::size_t i = 0; i < all.size(); ++i) {
    const std::string path = fmt::format("sheeted.{}.", i);
    if (all[i].fromRib >= all[i].toRib)
      f.say({"sheeted.ribs",
             Severity::warning,
             Stage::skins,
             "Sheeted bays end before they begin",
             fmt::format("From rib {}; the panel has {}, counted from its root rib, which is 1.", all[i].fromRib, ribs),
             "Let them end on a rib farther out.",
             {},
             {path + "toRib", path + "fromRib"}});
    for (std::size_t k = 0; k < i; ++k)
      if (((all[i].top && all[k].top) || (all[i].bottom && all[k].bottom)) &&
          std::max(all[i].fromRib, all[k].fromRib) < std::min(all[i].toRib, all[k].toRib))
        f.say({"sheeted.over",
               Severity::warning,
               Stage::skins,
               "Two sheets want the same bays",
               fmt::format("From rib {} to rib {}.", std::max(all[i].fromRib, all[k].fromRib),
                           std::min(all[i].toRib, all[k].toRib)),
               "Let one end where the other begins.",
               {},
               {path + "fromRib", path + "toRib"}});
  }
}

/// Where a skin that cannot be laid flat is cut apart. Half as long it turns half as much over half the way: its misfit
/// goes down with the square of the number of pieces.
static std::string lettingIn(const TruePanel& w, const Skin& skin, double takes) {
  const int pieces = static_cast<int>(std::ceil(std::sqrt(skin.pattern.misfit / takes)));
  std::vector<int> ribs;
  for (int i = 1; i < pieces; ++i) {
    const double t = skin.inner + (skin.outer - skin.inner) * i / pieces;
    const Rib* near = nullptr;
    for (const Rib& rib : w.frame.ribs)
      if (rib.t() > skin.inner + 1 && rib.t() < skin.outer - 1 &&
          (!near || std::abs(rib.t() - t) < std::abs(near->t() - t)))
        near = &rib;
    if (near && (ribs.empty() || ribs.back() != near->number)) ribs.push_back(near->number);
  }
  if (ribs.empty()) return "make it of narrower strips";
  std::string out = fmt::format("in {} pieces, joined on", ribs.size() + 1);
  for (const int rib : ribs) out += fmt::format("{} R{}", rib == ribs.front() ? "" : ",", rib);
  return out;
}

void skinFindings(Finder f) {
  sheetedFindings(f);
  const Sheeting& nose = f.w.design.sheeting;
  for (const Face face : {Face::upper, Face::lower})
    if ((face == Face::upper ? nose.top : nose.bottom) &&
        std::none_of(f.w.skins.begin(), f.w.skins.end(),
                     [&](const Skin& s) { return s.what == Skin::What::nose && s.face == face; }))
      f.say({"skin.none",
             Severity::warning,
             Stage::skins,
             fmt::format("There is no nose sheet {}", face == Face::upper ? "on top" : "below"),
             "It should end before the back of the leading edge's stock.",
             "Let it reach farther aft, or leave it off.",
             {},
             {"sheeting.fraction", "sheeting.to", "leadingEdge.width"}});
  if ((nose.top || nose.bottom) && nose.carries && std::abs(nose.grainDeg) > 10)
    f.say({"skin.grain",
           Severity::warning,
           Stage::skins,
           "The nose sheet is to carry bending across its grain",
           fmt::format("Its grain lies {}° off the span: it is reckoned as soft as that.", nose.grainDeg),
           "Turn its grain along the span, or let the spar carry alone.",
           {},
           {"sheeting.grain", "sheeting.carries"}});
  for (const Skin& skin : f.w.skins) {
    const std::string key = "skin." + skin.key.substr(0, skin.key.find('.'));
    if (skin.what != Skin::What::tail && skin.bend > 0) {
      const Material& wood = f.w.design.tables.named(skin.of.material);
      const auto takes = [&](int layers, double grain) {
        Skin other = skin;
        other.of.layers = layers;
        return bendsAt(other.layer(), other.layersBend(), dryBendRound(wood, grain));
      };
      const Bends how = takes(skin.of.layers, skin.of.grainDeg);
      if (how != Bends::dry)
        f.say(
            {how == Bends::wet ? "skin.soak" : "skin.breaks",
             how == Bends::wet ? Severity::note : Severity::warning,
             Stage::skins,
             fmt::format("The {} {}", skin.name, how == Bends::wet ? "wants water to bend" : "will not take its bend"),
             fmt::format("{} thick round a radius of {} at R{}.", f.len(skin.layer()), f.len(skin.layersBend()),
                         skin.bendRib),
             how == Bends::wet ? std::string("Wet its outside, tape it round and let it dry before it is glued.")
             : takes(skin.of.layers, 0) != Bends::breaks ? std::string("Turn its grain along the span.")
             : skin.of.layers < 4 && takes(skin.of.layers + 1, 0) != Bends::breaks
                 ? fmt::format("In {} layers it will, or thinner, softer, or butted behind a deeper leading edge.",
                               skin.of.layers + 1)
                 : std::string("Take it thinner, softer, or butt it behind a deeper leading edge."),
             skin.bendRib,
             {thicknessOf(skin), layersOf(skin), grainOf(skin), "leadingEdge.width"}});
    }
    constexpr double takes = 0.5; // mm over the width: common practice, sheet gives that much
    if (skin.pattern.misfit > takes)
      f.say({key + ".misfit",
             Severity::warning,
             Stage::skins,
             fmt::format("The {} cannot be laid flat", skin.name),
             fmt::format("It is {} out half way along; its surface turns {}.", f.len(skin.pattern.misfit),
                         told(skin.pattern.turn, Quantity::angle, f.w.design.unit)),
             "Let it in: " + lettingIn(f.w, skin, takes) + ", or turn the tip less.",
             {},
             {"panel.washout"}});
    const double length = lengthOf(skin.pattern.front), stock = f.w.design.cutList.stock;
    if (length > stock && skin.joints.empty())
      f.say({key + ".joint",
             Severity::warning,
             Stage::skins,
             fmt::format("The {} has no rib to be joined on", skin.name),
             fmt::format("It is {} long, its stock {}.", f.len(length), f.len(stock)),
             "Set a rib closer, or buy longer sheet.",
             {},
             {"cutList.stock", "ribs.count"}});
  }
}

} // namespace eup
