// What is told of wood that is bent.
#pragma once
#include "core/parts/bent_wood.h"
#include "core/report/report_parts.h"

namespace eup {

/// A figure of the radius; its words say what the outer fibres of that wood bear: `bearsDry` along its grain or across.
/// None for what is not bent.
void bendFigure(const std::string& key, const std::string& label, double outerRadius, double thickness,
                const Material& wood, double bearsDry, const std::string& where, std::vector<std::string> decisions,
                Stage stage, FigureList& out);

} // namespace eup
