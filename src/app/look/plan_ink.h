// A sheet's ink on a board.
#pragma once
#include "core/plan/plan_image.h"
#include <QPainter>

namespace eup::app {

/// Draws the part of a plan that falls into `view` (logical pixels of the painter's device). `viewToPixel` takes
/// logical pixels to the plan's. Paper is left clear; ink takes `colour`, at `strength` 0 … 1.
void drawPlan(QPainter& painter, const PlanImage& image, const Eigen::Matrix3d& viewToPixel, const QRect& view,
              const QColor& colour, double strength);

} // namespace eup::app
