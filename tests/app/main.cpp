#include "app/look/look.h"
#include <gtest/gtest.h>
#include <QApplication>

int main(int argc, char** argv) {
  testing::InitGoogleTest(&argc, argv);
  if (testing::GTEST_FLAG(list_tests)) return RUN_ALL_TESTS(); // while building, with no screen of any kind
  QApplication app(argc, argv);
  QApplication::setStyle("Fusion");
  eup::app::loadShippedFonts();
  return RUN_ALL_TESTS();
}
