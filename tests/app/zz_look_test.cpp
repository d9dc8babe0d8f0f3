#include "driver.h"
namespace eup::app::test {
namespace {
class Look : public WindowTest {};
TEST_F(Look, Here) {
  const auto shoot = [&](const char* name) {
    for (int i = 0; i < 5; ++i) QApplication::processEvents();
    QApplication::sendPostedEvents(nullptr, QEvent::DeferredDelete);
    window->grab().save(QString("/tmp/look-%1.png").arg(name));
  };
  window->openDemo("lanehurst-1180");
  stage(3);
  window->decide().focusDecision("wings.0.panels.0.tip.kind");
  shoot("layout");
  stage(4);
  window->standpoint().setRib(4);
  window->decide().focusDecision("wings.0.panels.0.ribs.direction");
  shoot("rib");
  stage(6);
  window->standpoint().setRib(5);
  window->decide().focusDecision("wings.0.panels.0.join.braceForm");
  shoot("join");
  window->decide().focusDecision("wings.0.panels.0.brace2.spar");
  shoot("join2");
  window->showInSpace(SpaceView::turned);
  shoot("space");
  window->openDemo("gossamoor-480");
  stage(6);
  window->standpoint().setRib(6);
  shoot("cracked");
}
} // namespace
} // namespace eup::app::test
