#include "core/wing/true_wing.h"

namespace eup {

TruePanel::TruePanel(PanelBrief brief, PanelShape of) : design(std::move(brief)), shape(std::move(of)) {}
TruePanel::TruePanel(const TruePanel&) = default;
TruePanel::TruePanel(TruePanel&&) noexcept = default;
TruePanel& TruePanel::operator=(const TruePanel&) = default;
TruePanel& TruePanel::operator=(TruePanel&&) noexcept = default;
TruePanel::~TruePanel() = default;

WholeWing::WholeWing() = default;
WholeWing::WholeWing(const WholeWing&) = default;
WholeWing::WholeWing(WholeWing&&) noexcept = default;
WholeWing& WholeWing::operator=(const WholeWing&) = default;
WholeWing& WholeWing::operator=(WholeWing&&) noexcept = default;
WholeWing::~WholeWing() = default;

TrueWing::TrueWing() = default;
TrueWing::TrueWing(const TrueWing&) = default;
TrueWing::TrueWing(TrueWing&&) noexcept = default;
TrueWing& TrueWing::operator=(const TrueWing&) = default;
TrueWing& TrueWing::operator=(TrueWing&&) noexcept = default;
TrueWing::~TrueWing() = default;

} // namespace eup
