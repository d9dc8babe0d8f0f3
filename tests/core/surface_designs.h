// Wings with a surface on hinges that several tests share.
#pragma once
#include "core/edit/wing_edit.h"
#include "support.h"

namespace eup::test {

/// A plain panel of NACA 0012, chord 200, span 500, six ribs.
inline Design plainPanel0012() {
  Design d = bareDesign();
  PanelDesign& p = d.inner();
  p.panel = test::panelOf(500, 200, 200);
  p.sections.root.kind = p.sections.tip.kind = SectionKind::naca;
  p.sections.root.naca = p.sections.tip.naca = "0012";
  p.ribs.count = 6;
  return d;
}

/// A tapered wing of ribs, with a spar and trailing stock, and one aileron.
inline Design withAileron() {
  Design d = bareDesign();
  PanelDesign& p = d.inner();
  p.panel = test::panelOf(700, 240, 160, 20, 1.5);
  p.spars = {Spar{}};
  p.trailingEdge.kind = TrailingEdgeKind::wedge, p.trailingEdge.width = 20;
  p.ribs.count = 15;
  Surface s = newSurface(p, SurfaceKind::aileron, WingKind::main);
  s.from = 330, s.to = 640, s.endClear = 2;
  p.surfaces = {s};
  return d;
}

/// And a servo that moves it.
inline Design withServo() {
  Design d = withAileron();
  Surface& s = d.inner().surfaces[0];
  s.drive.by = MovedBy::pushrod, s.drive.at = 375, s.drive.servoChord = 0.5, s.drive.servoUp = -3,
  s.drive.servo = "class-4";
  s.drive.horn = 14, s.drive.arm = 9, s.upDeg = 22, s.downDeg = 22;
  return d;
}

} // namespace eup::test
