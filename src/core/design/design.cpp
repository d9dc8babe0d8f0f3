#include "core/design/design.h"

namespace eup {

PanelDesign::PanelDesign() {
  spars.front().number = join.braces.front().number = 1; // it begins with these
}
PanelDesign::PanelDesign(const PanelDesign&) = default;
PanelDesign::PanelDesign(PanelDesign&&) noexcept = default;
PanelDesign& PanelDesign::operator=(const PanelDesign&) = default;
PanelDesign& PanelDesign::operator=(PanelDesign&&) noexcept = default;
PanelDesign::~PanelDesign() = default;
bool PanelDesign::operator==(const PanelDesign&) const = default;

Design::Design() = default;
Design::Design(const Design&) = default;
Design::Design(Design&&) noexcept = default;
Design& Design::operator=(const Design&) = default;
Design& Design::operator=(Design&&) noexcept = default;
Design::~Design() = default;
bool Design::operator==(const Design&) const = default;

} // namespace eup
