#include "app/frame/main_window.h"
#include "app/frame/shots.h"
#include <exception>
#include <new>
#include <QApplication>
#include <QCommandLineParser>
#include <QIcon>
#include <QStandardPaths>
#include <QTextStream>

namespace {

/// The last net: what no one else has caught must not take the wing with it.
class Application : public QApplication {
public:
  using QApplication::QApplication;
  eup::app::MainWindow* window = nullptr;
  bool notify(QObject* receiver, QEvent* event) override {
    try {
      return QApplication::notify(receiver, event);
    } catch (const std::exception& e) {
      const bool memory = dynamic_cast<const std::bad_alloc*>(&e);
      if (window)
        window->sayFault(memory ? QObject::tr("There was not enough memory for that.")
                                : QObject::tr("Something went wrong (%1).").arg(QString::fromUtf8(e.what())));
      return true;
    }
  }
};

} // namespace

int main(int argc, char** argv) {
  Application app(argc, argv);
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
  app.window = &window;
  window.show();
  if (!parser.positionalArguments().isEmpty()) {
    window.openFile(parser.positionalArguments().front());
  } else {
    if (parser.isSet("demo")) window.openDemo();
    window.offerRecovery();
  }
  const int code = QApplication::exec();
  app.window = nullptr;
  return code;
}
