#include "core/strength/bent_section.h"

namespace eup {

BentSection bentSection(const std::vector<Fibre>& fibres) {
  double ea = 0, eaz = 0;
  for (const Fibre& f : fibres) {
    const double area = f.width * (f.high - f.low);
    ea += f.modulus * area;
    eaz += f.modulus * area * (f.high + f.low) / 2;
  }
  if (ea <= 0) return {};
  BentSection b;
  b.axis = eaz / ea;
  b.stretch = ea;
  for (const Fibre& f : fibres) {
    const double h = f.high - f.low, arm = (f.high + f.low) / 2 - b.axis;
    b.stiffness += f.modulus * f.width * h * (h * h / 12 + arm * arm);
  }
  return b;
}

} // namespace eup
