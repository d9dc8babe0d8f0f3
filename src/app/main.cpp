#include "app/main_window.h"
#include "app/shots.h"
#include <QApplication>
#include <QCommandLineParser>
#include <QIcon>
#include <QStandardPaths>
#include <QTextStream>

int main(int argc, char** argv) {
  QApplication app(argc, argv);
  QApplication::setApplicationName("euptera");
  QApplication::setApplicationVersion(EUPTERA_VERSION);
  QApplication::setDesktopFileName("euptera");
  QApplication::setStyle("Fusion");
  app.setWindowIcon(QIcon(":/icons/euptera.svg"));
  eup::app::loadShippedFonts();

  QCommandLineParser parser;
  parser.setApplicationDescription("True wings for builders of model aircraft.");
  parser.addHelpOption();
  parser.addVersionOption();
  parser.addOption({"demo", "Open the demo wing."});
  parser.addOption({"shots", "Write a PNG of every main view into <folder>, and end.", "folder"});
  parser.addPositionalArgument("file", "Wing file to open.", "[file]");
  parser.process(app);

  if (parser.isSet("shots")) {
    const QStringList written = eup::app::writeShots(parser.value("shots"));
    QTextStream(stdout) << written.join('\n') << '\n';
    return written.isEmpty() ? 1 : 0;
  }
  eup::app::MainWindow window(QStandardPaths::writableLocation(QStandardPaths::AppDataLocation));
  window.show();
  if (!parser.positionalArguments().isEmpty()) {
    window.openFile(parser.positionalArguments().front());
  } else {
    if (parser.isSet("demo")) window.openDemo();
    window.offerRecovery();
  }
  return QApplication::exec();
}
