#include "core/measure/finding.h"
#include "core/measure/hand.h"

namespace eup {

const char* name(Severity severity) {
  switch (severity) {
  case Severity::note:
    return "note";
  case Severity::warning:
    return "warning";
  case Severity::serious:
    return "serious";
  }
  return "";
}

const char* name(Hand hand) {
  return hand == Hand::right ? "right" : "left";
}
const char* nameLarge(Hand hand) {
  return hand == Hand::right ? "RIGHT" : "LEFT";
}

const char* name(Stage stage) {
  switch (stage) {
  case Stage::plan:
    return "Measure plan";
  case Stage::sections:
    return "Shape sections";
  case Stage::panels:
    return "Lay out panels";
  case Stage::ribs:
    return "Draw ribs";
  case Stage::spars:
    return "Size spars";
  case Stage::joins:
    return "Set joins";
  case Stage::skins:
    return "Wrap skins";
  case Stage::foam:
    return "Cut foam";
  case Stage::surfaces:
    return "Hinge surfaces";
  case Stage::stock:
    return "Pick stock";
  case Stage::build:
    return "Build and check";
  }
  return "";
}

} // namespace eup
