// What holds a wing to its fuselage and to other wings, on the joins' board: struts and wires from behind, posts from
// the left.
#include "app/boards/stage_boards.h"
#include "core/described/decisions.h"
#include "core/geometry/polyline.h"
#include "core/wing/holding.h"
#include <algorithm>

namespace eup::app {
namespace {

Point fromBehind(const Point3& p, double side) {
  return {side * p.y(), p.z()};
}

/// A strut that holds the wing or stands on it, and how far over the wing its own wing lies.
struct Seen {
  const HeldStrut* held;
  const Strut* decided;
  int wing;
  double up;
};

/// What lies between the wing and others: its own struts, and those of other wings that stand on it.
std::vector<Seen> seenOn(const TrueWing& w, int wing) {
  std::vector<Seen> out;
  for (std::size_t i = 0; i < w.wings.size(); ++i) {
    const Wing& decided = w.design.wings[i];
    const double up = decided.up - w.design.wings[static_cast<std::size_t>(wing)].up;
    for (const HeldStrut& s : w.wings[i].held.struts)
      if (static_cast<int>(i) == wing || (s.place.lower && s.place.lower->wing == wing))
        out.push_back({&s, &decided.struts[static_cast<std::size_t>(s.place.number)], static_cast<int>(i), up});
  }
  return out;
}

/// The other wings that those are made fast to.
std::vector<int> neighboursOf(const TrueWing& w, int wing) {
  std::vector<int> out;
  for (const Seen& s : seenOn(w, wing)) {
    const int other = s.wing != wing ? s.wing : s.held->place.lower ? s.held->place.lower->wing : wing;
    if (other != wing && std::find(out.begin(), out.end(), other) == out.end()) out.push_back(other);
  }
  return out;
}

} // namespace

bool JoinBoard::showsHolding() const {
  const Topic topic = standpoint.subject().topic;
  return topic == Topic::strut || topic == Topic::posts;
}

Box JoinBoard::holdingContent() const {
  const WholeWing& wing = standpoint.shownWing();
  Box box;
  if (standpoint.subject().topic == Topic::posts) {
    const double chord = wing.panels.front().design.panel.rootChord;
    box.include(Point(-0.1 * chord, -0.6 * chord));
    box.include(Point(1.15 * chord, 0.35 * chord));
    return box;
  }
  const double out = wing.fromAbove;
  box.include(Point(standpoint.hand() == ShownHand::right ? -0.12 * out : -1.05 * out, std::min(-0.25 * out, 0.0)));
  box.include(
      Point(standpoint.hand() == ShownHand::left ? 0.12 * out : 1.05 * out, std::max(wing.tipRise, 0.0) + 0.12 * out));
  for (const Seen& s : seenOn(document.wing(), standpoint.wing()))
    for (const double side : {1.0, -1.0}) {
      const Point foot =
          fromBehind(s.wing == standpoint.wing() ? s.held->place.foot : s.held->place.top, side) + Point(0, s.up);
      if ((side > 0 && standpoint.hand() != ShownHand::left) || (side < 0 && standpoint.hand() != ShownHand::right))
        box.include(Point(foot - Point(0, 0.06 * out)));
    }
  return box;
}

void JoinBoard::drawHolding(Ink& ink) const {
  if (standpoint.subject().topic == Topic::posts) return drawPosts(ink);
  for (const double side : {1.0, -1.0}) {
    if (standpoint.hand() == (side > 0 ? ShownHand::left : ShownHand::right)) continue;
    const TrueWing& model = document.wing().of(side > 0 ? Hand::right : Hand::left);
    const auto drawWing = [&](int number) {
      const WholeWing& wing = model.wing(number);
      const auto upOf = [&](int i) { return model.design.wings[static_cast<std::size_t>(i)].up; };
      const Point over(0, upOf(number) - upOf(standpoint.wing()));
      for (std::size_t k = 0; k < wing.panels.size(); ++k)
        drawPanel(ink, wing.panels[k], side, fromBehind(wing.inSpace[k].origin, side) + over, wing.inSpace[k].gamma,
                  true, nullptr);
    };
    for (const int other : neighboursOf(model, standpoint.wing())) drawWing(other);
    drawWing(standpoint.wing());
    for (const Seen& one : seenOn(model, standpoint.wing())) {
      const HeldStrut& s = *one.held;
      const Strut& strut = *one.decided;
      const bool own = one.wing == standpoint.wing(), mine = own && standpoint.subject().number == s.place.number;
      const Point over(0, one.up), top = fromBehind(s.place.top, side) + over,
                                   foot = fromBehind(s.place.foot, side) + over;
      ink.line(top, foot, mine ? look.accent : look.ink, strut.kind == StrutKind::wire ? 1.2 : 4,
               strut.kind == StrutKind::wire ? Qt::DashLine : Qt::SolidLine);
      const Point across = Point(top.y() - foot.y(), foot.x() - top.x()).normalized() * (4 / ink.scale);
      if (own) ink.pick({Topic::strut, s.place.number}, {{top - across, foot - across, foot + across, top + across}});
      const QString force =
          s.worst.force == 0 ? tr("nothing: it hangs slack")
                             : QString::fromStdString(told(std::abs(s.worst.force), Quantity::force, LengthUnit::mm));
      // Names stand apart along their members, and on the side where there is room.
      const Point named = lerp(top, foot, std::min(0.35 + 0.2 * s.place.number, 0.9));
      const bool inwards = std::abs(named.x()) > 0.25 * standpoint.shownWing().fromAbove, right = (side > 0) != inwards;
      ink.text(named,
               tr("%1: %2, %3 %4")
                   .arg(QString::fromStdString(strut.name), len(s.length),
                        s.worst.force >= 0 ? tr("pulled by") : tr("pressed by"), force),
               mine ? look.accent : look.faint, {right ? 12.0 : -12.0, 4.0}, right ? Qt::AlignLeft : Qt::AlignRight, 12,
               mine);
    }
  }
  const double high = content().high.y(), low = content().low.y();
  ink.line({0, low}, {0, high}, look.faint, 1, Qt::DashDotLine);
  if (!standpoint.shownWing().held.held)
    ink.text({0, low},
             tr("No strut or wire holds this wing. Add one on the left: where it holds a spar, and its foot."),
             look.faint, {14, -10});
}

/// The root from its left side, nose to the left, on its two posts; the line that their tubes end at is level.
void JoinBoard::drawPosts(Ink& ink) const {
  const WholeWing& wing = standpoint.shownWing();
  const Posts& posts = document.design().wings[static_cast<std::size_t>(standpoint.wing())].posts;
  const TruePanel& root = wing.panels.front();
  const Rib& rib = root.frame.ribs.front();
  const double turn = degToRad(posts.incidenceDeg);
  const auto at = [&](const Point& p) -> Point { // in the root's chord axes
    return {p.x() * std::cos(turn) + p.y() * std::sin(turn), p.y() * std::cos(turn) - p.x() * std::sin(turn)};
  };
  Polyline outline;
  for (const Point& p : rib.bare) outline.push_back(at(p));
  ink.loop(outline, look.balsa, look.ink, 1.4);
  const auto standing = postsOf(wing, posts);
  if (!standing) {
    ink.text({0, content().low.y()}, tr("This wing does not stand on posts. Put two posts in on the left."), look.faint,
             {0, -12});
    return;
  }
  const auto under = [&](double share) {
    return at(root.shape.loft.frameAt(0).toChord(root.shape.loft.at(Face::lower, share, 0)));
  };
  const Point front = under(posts.front), rear = under(posts.rear);
  const double tube = front.y() - standing->front;
  ink.line({-0.08 * rib.frame.chord, tube}, {1.1 * rib.frame.chord, tube}, look.ink, 1.6);
  ink.text({1.1 * rib.frame.chord, tube}, tr("where the tubes end"), look.faint, {0, 16}, Qt::AlignRight, 11);
  for (const auto& [foot, long_] : {std::pair(front, standing->front), std::pair(rear, standing->rear)}) {
    const Point end(foot.x(), tube - posts.inTube);
    ink.line(foot, end, look.accent, 3);
    ink.loop(rectangle({foot.x() - posts.diameter, tube - posts.inTube}, {foot.x() + posts.diameter, tube}), look.ply,
             look.ink, 1);
    ink.text({foot.x(), (foot.y() + tube) / 2}, len(standing->length(long_, posts)), look.accent, {8, 5}, Qt::AlignLeft,
             13, true);
  }
  const double low = tube - posts.inTube;
  ink.dimension({front.x(), low}, {rear.x(), low}, len(standing->apart), 18);
  ink.line({0, 0}, at({rib.frame.chord, 0}), look.faint, 1, Qt::DashDotLine);
  ink.text(at({rib.frame.chord / 2, 0}), tr("chord line, nose up by %1°").arg(posts.incidenceDeg, 0, 'f', 2),
           look.faint, {0, 22}, Qt::AlignHCenter, 11);
}

std::vector<Handle> JoinBoard::holdingHandles() const {
  std::vector<Handle> out;
  if (standpoint.subject().topic != Topic::strut) return out;
  const double side = mirrored() ? -1 : 1;
  for (const HeldStrut& s : standpoint.shownWing().held.struts) {
    const std::string path = "wings." + std::to_string(standpoint.wing()) + ".struts." + std::to_string(s.place.number);
    const QString name = tr("strut %1").arg(s.place.number + 1);
    const Point foot = fromBehind(s.place.foot, side), top = fromBehind(s.place.top, side);
    out.push_back(
        {tr("foot of %1").arg(name), foot, foot, Qt::SizeAllCursor, tr("Move the foot of %1").arg(name),
         [path, side, onWing = s.place.lower.has_value()](const Design& d, const Point& by) -> Result<Design> {
           if (onWing) {
             const auto along = decisionAt(d, path + ".footOut");
             if (along && !along->applies) return d; // it holds a rib
             if (!along) return Problem{"", "there is no such strut any more"};
             return decideValue(d, path + ".footOut", along->value + side * by.x());
           }
           const auto right = decisionAt(d, path + ".footRight"), up = decisionAt(d, path + ".footUp");
           if (!right || !up) return Problem{"", "there is no such strut any more"};
           const auto next = decideValue(d, path + ".footRight", right->value + side * by.x());
           return next ? decideValue(next.value(), path + ".footUp", up->value + by.y()) : next;
         }});
    out.push_back({tr("top of %1").arg(name), top, top, Qt::SizeHorCursor, tr("Move the top of %1").arg(name),
                   [path, side](const Design& d, const Point& by) -> Result<Design> {
                     const auto along = decisionAt(d, path + ".out");
                     if (along && !along->applies) return d; // it holds a rib
                     if (!along) return Problem{"", "there is no such strut any more"};
                     return decideValue(d, path + ".out", along->value + side * by.x());
                   }});
  }
  return out;
}

} // namespace eup::app
