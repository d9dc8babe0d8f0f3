// Figures and findings of skins: their flat patterns, how they bend, what they are made up of.
#include "core/geometry/polyline.h"
#include "core/report/bend_figure.h"
#include "core/report/finder.h"
#include <algorithm>
#include <cmath>

namespace eup {
namespace {

const char* developed = "the ruled panel laid flat, straight line by straight line";

/// "sheeted.0.": the decisions of a skin.
std::string skinPath(const TruePanel& w, const Skin& skin) {
  if (skin.what == Skin::What::bays) return fmt::format("sheeted.{}.", skin.run);
  return skin.face == Face::lower && w.design.sheeting.ownBelow ? "sheeting.below." : "sheeting.";
}

/// What decides a skin's breadth.
std::vector<std::string> decidedBy(const TruePanel& w, const Skin& skin) {
  if (skin.what == Skin::What::tail) return {"trailingEdge.width", "panel.rootChord", "panel.tipChord"};
  const std::string path = skinPath(w, skin);
  if (skin.what == Skin::What::bays)
    return {path + "to", path + "from", path + "toRib", path + "fromRib", "panel.rootChord", "trailingEdge.width"};
  return {path + "fraction", path + "to", "sheeting.from", "panel.rootChord", "panel.tipChord", "leadingEdge.width"};
}

std::string thicknessOf(const TruePanel& w, const Skin& skin) {
  return skin.what == Skin::What::tail ? "trailingEdge.sheet" : skinPath(w, skin) + "thickness";
}

std::string jointsPath(const Skin& skin) {
  const std::string list = skin.face == Face::upper ? "joints" : "jointsBelow";
  return skin.what == Skin::What::bays ? fmt::format("sheeted.{}.{}", skin.run, list) : "sheeting." + list;
}

/// Where its sheets are joined, and how long they are.
void jointFigures(const TruePanel& w, const Skin& skin, FigureList& out) {
  const std::string key = fmt::format("skin.{}.", skin.key);
  const bool chosen = !skin.joints.empty() && skin.what != Skin::What::tail &&
                      !(skin.what == Skin::What::bays
                            ? joinedOn(w.design.sheeted[static_cast<std::size_t>(skin.run)], skin.face == Face::upper)
                            : joinedOn(w.design.sheeting, skin.face == Face::upper))
                           .empty();
  const double over = skin.of.jointLength();
  const std::string how =
      skin.of.joint == SheetJoint::butt ? std::string("butted, half the rib each")
      : skin.of.joint == SheetJoint::scarf
          ? fmt::format("scarfed over {}, {} to 1", out.len(over), skin.of.overlap)
          : fmt::format("lapped by {}, the rib let down there by {}", out.len(over), out.len(skin.of.thickness));
  for (std::size_t i = 0; i < skin.joints.size(); ++i) {
    const SkinJoint &right = skin.joints[i], &left = skin.leftJoints[i];
    out.add({fmt::format("{}joint.{}", key, i + 1),
             fmt::format("Joint {}: {}", i + 1, skin.name),
             right.t,
             Quantity::length,
             Stage::skins,
             fmt::format("on the middle of R{}, {}, from {}{}", right.rib, how, innerEnd(w.design),
                         left.rib != right.rib ? fmt::format("; on the left hand on R{}", left.rib) : std::string()),
             chosen ? "as chosen" : "the last rib that the stock reaches; below one rib sooner",
             fmt::format("stock {}", out.len(w.design.cutList.stock)),
             "common practice",
             {"cutList.stock", jointsPath(skin), "cutList.leftSooner"}});
  }
  const std::vector<double> pieces = skin.pieces(Hand::right);
  for (std::size_t i = 0; pieces.size() > 1 && i < pieces.size(); ++i)
    out.add({fmt::format("{}piece.{}", key, i + 1),
             fmt::format("Piece {}: {}", i + 1, skin.name),
             pieces[i],
             Quantity::length,
             Stage::skins,
             "along its front edge, joint in it; counted from the inner end",
             "share of the front edge from joint to joint, and half of every scarf or lap",
             fmt::format("of {}", out.len(lengthOf(skin.pattern.front))),
             "plane geometry",
             {jointsPath(skin), "cutList.stock"}});
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
           developed, decidedBy(w, skin), true});
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
    out.add({key + "area", "Area: " + name, skin.area(), Quantity::area, Stage::skins,
             skin.leftOut.empty() ? "of the flat pattern, one hand"
                                  : "of the flat pattern, one hand; what surfaces on hinges take of it is left out",
             "area inside its outline", told(skin.area(), Quantity::area, w.design.unit), developed,
             decidedBy(w, skin)});
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
                 {thicknessOf(w, skin), skinPath(w, skin) + "grain", skinPath(w, skin) + "layers", "leadingEdge.width"},
                 Stage::skins, out);
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
               {skinPath(w, skin) + "layers", thicknessOf(w, skin)},
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
         {"cutList.sheetWidth", decidedBy(w, skin).front()}});
    jointFigures(w, skin, out);
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
    if (all[i].from == BaysFrom::fraction)
      for (const Skin& skin : f.w.skins)
        if (skin.what == Skin::What::nose && (skin.face == Face::upper ? all[i].top : all[i].bottom) &&
            sheetEdgeAt(f.w.design, f.w.shape.loft, skin.face, 0) > all[i].fromFraction + 1e-6) {
          f.say({"sheeted.nose",
                 Severity::warning,
                 Stage::skins,
                 "Sheet over bays begins under the nose sheet",
                 fmt::format("It should begin at {:.1f} % of the chord; it begins where the nose sheet ends.",
                             100 * all[i].fromFraction),
                 "Let it begin farther aft, or end the nose sheet sooner.",
                 {},
                 {path + "fromFraction", "sheeting.fraction"}});
          break;
        }
    for (const Face face : {Face::upper, Face::lower})
      if ((face == Face::upper ? all[i].top : all[i].bottom) && all[i].fromRib < all[i].toRib &&
          std::none_of(f.w.skins.begin(), f.w.skins.end(), [&](const Skin& skin) {
            return skin.what == Skin::What::bays && skin.run == static_cast<int>(i) && skin.face == face;
          })) {
        f.say({"sheeted.none",
               Severity::warning,
               Stage::skins,
               fmt::format("Nothing is left for the sheet from rib {} to rib {}, {}", all[i].fromRib, all[i].toRib,
                           face == Face::upper ? "on top" : "below"),
               "It should end before it begins, or under what lies before it.",
               "Let it end farther aft, or begin farther forward.",
               {},
               {path + "to", path + "from"}});
        break;
      }
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

/// Pieces longer than the stock, ribs that no sheet can be joined on, joints that fall together.
static void sheetJointFindings(Finder f, const Skin& skin, const std::string& key) {
  const double stock = f.w.design.cutList.stock;
  const std::vector<double> pieces = skin.pieces(Hand::right);
  const double longest = *std::max_element(pieces.begin(), pieces.end());
  if (!skin.wanted.empty())
    f.say({key + ".jointNot",
           Severity::warning,
           Stage::skins,
           fmt::format("The {} cannot be joined on R{}", skin.name, skin.wanted.front()),
           "It is no rib between its ends.",
           "Choose a rib that it lies over; end ribs join it to nothing.",
           {},
           {jointsPath(skin)}});
  if (longest > stock + 1e-6)
    f.say({key + ".joint",
           Severity::warning,
           Stage::skins,
           skin.joints.empty() ? fmt::format("The {} has no rib to be joined on", skin.name)
                               : fmt::format("A piece of the {} is longer than its stock", skin.name),
           fmt::format("It is {} long, its stock {}.", f.len(longest), f.len(stock)),
           skin.joints.empty() ? "Set a rib closer, or buy longer sheet." : "Join it on one rib more.",
           {},
           {"cutList.stock", skin.joints.empty() ? "ribs.count" : jointsPath(skin)}});
  if (skin.face == Face::upper || skin.joints.empty()) return;
  for (const Skin& other : f.w.skins)
    if (other.face == Face::upper && other.what == skin.what && other.run == skin.run)
      for (const SkinJoint& a : skin.joints)
        for (const SkinJoint& b : other.joints)
          if (a.rib == b.rib) {
            f.say({key + ".together",
                   Severity::note,
                   Stage::skins,
                   fmt::format("Sheets are joined on R{} on top and below", a.rib),
                   "Both faces are weak at one place.",
                   "Join the lower one a rib farther in or out.",
                   a.rib,
                   {jointsPath(skin)}});
            return;
          }
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
  for (const bool top : {true, false})
    if (const SheetRun* sheet = nose.on(top); sheet && nose.carries && std::abs(sheet->grainDeg) > 10) {
      f.say({"skin.grain",
             Severity::warning,
             Stage::skins,
             "The nose sheet is to carry bending across its grain",
             fmt::format("Its grain lies {}° off the span: it is reckoned as soft as that.", sheet->grainDeg),
             "Turn its grain along the span, or let the spar carry alone.",
             {},
             {!top && nose.ownBelow ? "sheeting.below.grain" : "sheeting.grain", "sheeting.carries"}});
      break;
    }
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
             {thicknessOf(f.w, skin), skinPath(f.w, skin) + "layers", skinPath(f.w, skin) + "grain",
              "leadingEdge.width"}});
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
    sheetJointFindings(f, skin, key);
  }
}

} // namespace eup
