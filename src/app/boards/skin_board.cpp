// The board of the skins: flat patterns, and the nose that they are rolled round.
#include "app/boards/stage_boards.h"
#include "core/described/decisions.h"
#include "core/geometry/polyline.h"
#include <algorithm>

namespace eup::app {

QString SkinBoard::heading() const {
  if (panel().sheet) return tr("%1, a panel of sheet").arg(QString::fromStdString(panel().design.name));
  return tr("%1, skins laid flat").arg(QString::fromStdString(panel().design.name));
}

QString SkinBoard::subheading() const {
  if (panel().sheet) return tr("the blank of a panel of sheet, and its section at the chosen station");
  return tr("widths at the ends, how far those are out of square; drag an edge, or a joint to another rib");
}

QString SkinBoard::emptyText() const {
  if (!panel().skins.empty() || panel().sheet) return {};
  return tr("This panel has no sheet on it: no nose sheet, and no trailing edge of two sheets.\n\nSwitch on “Sheet on "
            "top” or “Sheet below” on the right to wrap its nose.");
}

std::vector<SkinBoard::Laid> SkinBoard::laid() const {
  std::vector<Laid> out;
  out.reserve(panel().skins.size());
  double down = 0;
  const double between = gap();
  for (const Skin& skin : panel().skins) {
    const Box box = boundsOf(skin.pattern.outline); // x aft, y outwards
    out.push_back({&skin, down - std::max(-box.low.x(), 0.0)});
    down -= box.width() + between;
  }
  return out;
}

Point SkinBoard::onBoard(const Laid& l, const Point& p) const {
  // The root stays on the side of the hand's root, for either face.
  return {mirrored() ? -p.y() : p.y(), l.top - p.x()};
}

/// mm of board between patterns: room for their names and sizes.
double SkinBoard::gap() const {
  double longest = 0;
  for (const Skin& skin : panel().skins) longest = std::max(longest, boundsOf(skin.pattern.outline).height());
  return std::max(34.0, 0.085 * longest);
}

double SkinBoard::below() const {
  double down = 0;
  for (const Laid& l : laid()) down = std::min(down, l.top - boundsOf(l.skin->pattern.outline).high.x());
  return down;
}

Box SkinBoard::content() const {
  if (panel().sheet) return sheetContent();
  Box box;
  for (const Laid& l : laid())
    for (const Point& p : l.skin->pattern.outline) box.include(onBoard(l, p));
  if (box.empty()) {
    box.include(Point(0, 0)), box.include(Point(300, -150));
    return box;
  }
  const double far = box.width() * 0.08;
  box.include(box.low - Point(far, 0.3 * box.width())), box.include(box.high + Point(far, 0.6 * gap()));
  return box;
}

void SkinBoard::drawSkin(Ink& ink, const Laid& l) const {
  const Skin& skin = *l.skin;
  const TruePanel& w = panel();
  const auto on = [&](const Polyline& line) {
    Polyline out;
    out.reserve(line.size());
    for (const Point& p : line) out.push_back(onBoard(l, p));
    return out;
  };
  Region shape;
  shape.reserve(skin.shape.size());
  for (const Polyline& loop : skin.shape) shape.push_back(on(loop));
  ink.region(shape, look.sheet, look.ink, 1.5);
  if (skin.what == Skin::What::nose) {
    const bool own = skin.face == Face::lower && w.design.sheeting.ownBelow;
    ink.pick({own ? Topic::sheetingBelow : Topic::sheeting, 0}, shape);
  }
  if (skin.what == Skin::What::bays) ink.pick({Topic::sheeted, skin.run}, shape);
  for (const SkinLine& spar : skin.spars) ink.chain(on(spar.line), look.hardwood, 2, Qt::DashLine);
  for (const SkinLine& rib : skin.ribs) {
    const bool mine = rib.name == chosenRib().name();
    const Polyline line = on(rib.line);
    ink.chain(line, mine ? look.accent : look.faint, mine ? 2 : 1);
    if (skin.ribs.size() <= 30 || mine)
      ink.text(line.back(), QString::fromStdString(rib.name), mine ? look.accent : look.faint, {0, 12},
               Qt::AlignHCenter, 10, mine);
  }
  for (const SkinJoint& joint : skin.jointsOf(mirrored() ? Hand::left : Hand::right)) {
    const Polyline line = on(joint.line);
    ink.chain(line, look.wrong, 2.2, Qt::DashLine);
    ink.text(line.front(), tr("joint on R%1").arg(joint.rib), look.ink, {0, -6}, Qt::AlignHCenter, 11);
  }
  const auto surfaceName = [&](int surface) {
    return QString::fromStdString(w.design.surfaces[static_cast<std::size_t>(surface)].name);
  };
  for (const SawnLine& sawn : skin.sawn) ink.chain(on(sawn.line), look.ink, 1.4, Qt::DashDotLine);
  QString open;
  for (const int surface : skin.leftOut)
    open += (open.isEmpty() ? tr(" · open for the ") : ", ") + surfaceName(surface);
  if (!skin.sawn.empty()) open += tr(" · sawn through for the ") + surfaceName(skin.sawn.back().surface);
  const FlatPattern& p = skin.pattern;
  const Qt::Alignment rootSide = mirrored() ? Qt::AlignLeft : Qt::AlignRight,
                      tipSide = mirrored() ? Qt::AlignRight : Qt::AlignLeft;
  const double away = mirrored() ? -8 : 8;
  const auto degrees = [](double rad) { return QString::number(std::abs(radToDeg(rad)), 'f', 2); };
  const Point rootEnd = onBoard(l, lerp(p.inner.front(), p.inner.back(), 0.5)),
              tipEnd = onBoard(l, lerp(p.outer.front(), p.outer.back(), 0.5));
  ink.text(rootEnd, len(p.innerWidth), look.accent, {-away, 0}, rootSide, 12, true);
  ink.text(rootEnd, tr("%1°").arg(degrees(p.innerAngle)), look.faint, {-away, 14}, rootSide, 10);
  ink.text(tipEnd, len(p.outerWidth), look.accent, {away, 0}, tipSide, 12, true);
  ink.text(tipEnd, tr("%1°").arg(degrees(p.outerAngle)), look.faint, {away, 14}, tipSide, 10);
  const QString sheets = skin.strips > 1 ? tr(" · %1 sheets side by side").arg(skin.strips) : QString();
  // That of a surface lies far out: its name ends there.
  const bool rootOnRight = mirrored() != skin.surface.has_value();
  ink.text(onBoard(l, skin.surface ? p.front.back() : p.front.front()),
           tr("%1 · %2 thick · front edge %3%4%5")
               .arg(QString::fromStdString(skin.name), len(skin.of.thickness), len(lengthOf(p.front)), sheets, open),
           look.ink, {0, skin.surface ? -14.0 : -8.0}, rootOnRight ? Qt::AlignRight : Qt::AlignLeft, 12, true);
}

/// The chosen rib's nose, larger, with the sheet round it.
void SkinBoard::drawNose(Ink& ink) const {
  const TruePanel& w = panel();
  const Rib& rib = chosenRib();
  const Skin* skin = nullptr;
  for (const Skin& one : w.skins)
    if (one.what == Skin::What::nose && (!skin || one.bend < skin->bend)) skin = &one;
  if (!skin) return;
  const double width = boundsOf(skin->pattern.outline).height(), deep = rib.depth;
  const double size = std::clamp(0.16 * width / deep, 0.5, 6.0);
  const Point at(mirrored() ? -0.05 * width : 0.05 * width, below() - gap() - 0.1 * width);
  const double side = mirrored() ? -1 : 1;
  const auto put = [&](const Region& region) {
    Region out = region;
    for (Polyline& loop : out)
      for (Point& p : loop) p = at + Point(side * p.x(), p.y()) * size;
    return out;
  };
  const double reach = std::min(0.45 * rib.frame.chord, 0.8 * width / size);
  const Region window{rectangle({-rib.frame.chord, -rib.frame.chord}, {reach, rib.frame.chord})};
  const Beside beside = besideRib(w.design, w.shape.loft, rib);
  ink.region(put(intersect(rib.wood, window)), look.balsa, look.faint, 1);
  ink.region(put(intersect(beside.leadingStock, window)), look.stock, look.ink, 1);
  ink.region(put(intersect(beside.sheet, window)), look.sheet, look.ink, 1.2);
  ink.text(at + Point(side * reach * size, 0),
           tr("nose at R%1, %2 times as large").arg(rib.number).arg(size, 0, 'f', 1), look.ink,
           {mirrored() ? -10.0 : 10.0, -8}, mirrored() ? Qt::AlignRight : Qt::AlignLeft, 12, true);
  ink.text(at + Point(side * reach * size, 0), tr("sharpest bend %1, at R%2").arg(len(skin->bend)).arg(skin->bendRib),
           look.faint, {mirrored() ? -10.0 : 10.0, 10}, mirrored() ? Qt::AlignRight : Qt::AlignLeft, 11);
}

void SkinBoard::draw(Ink& ink) const {
  if (panel().sheet) return drawSheet(ink);
  for (const Laid& l : laid()) drawSkin(ink, l);
  drawNose(ink);
}

std::vector<Handle> SkinBoard::handles() const {
  std::vector<Handle> out;
  if (panel().sheet) return out;
  for (const Laid& l : laid()) addHandles(l, out);
  return out;
}

/// Its edges, where they are decided by a number, and its joints.
void SkinBoard::addHandles(const Laid& l, std::vector<Handle>& out) const {
  const Skin& skin = *l.skin;
  if (skin.what == Skin::What::tail || skin.surface) return;
  const PanelDesign& d = panel().design;
  const QString name = QString::fromStdString(skin.name);
  const bool nose = skin.what == Skin::What::nose, own = skin.face == Face::lower && d.sheeting.ownBelow;
  const auto k = static_cast<std::size_t>(skin.run);
  const std::string path =
      pathOf(here()) + (nose ? (own ? "sheeting.below." : "sheeting.") : "sheeted." + std::to_string(skin.run) + ".");
  const SheetRun& run = nose ? *d.sheeting.on(skin.face == Face::upper) : d.sheeted[k];
  // Along the surface a chord fraction is about a share of the chord.
  const double chord = panel().shape.loft.frameAt(std::max(skin.inner, 0.0)).chord;
  const auto edge = [&](const QString& words, const Polyline& line, const char* value, double from, double perMm) {
    Handle h{words, onBoard(l, line.front()), onBoard(l, line.back()), Qt::SizeVerCursor, tr("Move sheet edge"), {},
             true};
    h.pull = [where = path + value, from, perMm](const Design& design, const Point& by) {
      return decideValue(design, where, from - by.y() * perMm);
    };
    out.push_back(std::move(h));
  };
  const QString rear = tr("rear edge of the %1").arg(name);
  if (run.to == SheetTo::fraction) edge(rear, skin.pattern.rear, "fraction", run.fraction, 1 / chord);
  if (run.to == SheetTo::fromTail) edge(rear, skin.pattern.rear, "fromTail", run.fromTail, -1);
  if (!nose && d.sheeted[k].from == BaysFrom::fraction)
    edge(tr("front edge of the %1").arg(name), skin.pattern.front, "fromFraction", d.sheeted[k].fromFraction,
         1 / chord);
  // A joint goes from rib to rib: all of them are decided once one is moved.
  const bool left = mirrored();
  if (left && document.design().cutList.leftSooner) return; // they follow the right hand's
  std::vector<int> now;
  for (const SkinJoint& joint : skin.joints) now.push_back(joint.rib - panel().design.firstRib + 1);
  for (std::size_t i = 0; i < skin.joints.size(); ++i) {
    const Polyline& line = skin.joints[i].line;
    Handle h{tr("joint on R%1 of the %2").arg(skin.joints[i].rib).arg(name),
             onBoard(l, line.front()),
             onBoard(l, line.back()),
             Qt::SizeHorCursor,
             tr("Move a joint"),
             {},
             true};
    h.pull = [id = here(), skin, i, now, left, k, nose,
              first = panel().design.firstRib](const Design& design, const Point& by) -> Result<Design> {
      const double t = skin.joints[i].t + (left ? -by.x() : by.x());
      std::vector<int> joints = now;
      double least = 1e9;
      for (const SkinLine& rib : skin.ribs)
        if (std::abs(rib.t - t) < least) least = std::abs(rib.t - t), joints[i] = rib.number - first + 1;
      Design next = design;
      PanelDesign& p = next.at(id);
      const bool top = skin.face == Face::upper;
      std::sort(joints.begin(), joints.end());
      joints.erase(std::unique(joints.begin(), joints.end()), joints.end());
      if (nose)
        joinedOn(p.sheeting, top) = joints;
      else if (k < p.sheeted.size())
        joinedOn(p.sheeted[k], top) = joints;
      return next;
    };
    out.push_back(std::move(h));
  }
}

} // namespace eup::app
