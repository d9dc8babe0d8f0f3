// What is told of wood that is bent round something: strips of a tip, of a rib, sheet round a nose.
#pragma once
#include "core/work/report_parts.h"

namespace eup {

/// How a strip that thick takes a bend with that radius of its outer face: dry, wet, or in no way.
enum class Bends { dry, wet, breaks };
Bends bendsAt(double thickness, double outerRadius, double bearsDry);

/// A figure of the radius; its words say what the outer fibres of that wood bear: `bearsDry` along its grain or across.
void bendFigure(const std::string& key, const std::string& label, double outerRadius, double thickness,
                const Material& wood, double bearsDry, const std::string& where, std::vector<std::string> decisions,
                Stage stage, FigureList& out, std::optional<int> rib = {});

} // namespace eup
