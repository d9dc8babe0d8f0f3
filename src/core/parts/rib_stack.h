// Ribs sanded as one block between two templates: what the templates are, and how true the ribs come out.
#pragma once
#include "core/parts/frame.h"

namespace eup {

struct StackedRib {
  int rib = 1;
  double off = 0;   ///< mm, greatest distance of its outline half way through its thickness from the true one
  double chord = 0; ///< mm that it comes out too long; too short when negative
  double bevel = 0; ///< rad, steepest slope of its edge out of square
};

/// Of a panel whose ribs all stand with the flight. The blanks lie in the order in which they stand, on two straight
/// bolts, their chord lines along each other; the sander runs straight from template to template.
struct RibStack {
  double thick = 0;                    ///< mm, all blanks together
  double inner = 0, outer = 0;         ///< mm of the panel's span that the templates are sections of
  Rib innerTemplate, outerTemplate;    ///< as ribs, without notches
  double boltFront = 0, boltApart = 0; ///< mm: front bolt behind the nose of a rib of unit chord; rear one behind it
  std::vector<StackedRib> ribs;
  StackedRib worst;     ///< farthest off
  double middleOff = 0; ///< of the rib in the middle of the block
  double plainOff = 0;  ///< the worst, were the end ribs' own sections taken for templates
  double bevel = 0;     ///< steepest of all
};

/// Nothing for ribs that are turned, or fewer than three. Templates stand for sections a little beyond the end ribs, so
/// that those come out true in their middle; what remains is what the rule of three cannot do.
std::optional<RibStack> ribStack(const PanelBrief& design, const PanelLoft& loft, const Frame& frame);

} // namespace eup
