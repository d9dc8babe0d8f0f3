// The log in the window: everything done, read and changed; notes and pictures are added, and it is taken away.
#pragma once
#include "app/state/asking.h"
#include "app/state/document.h"
#include "app/state/standpoint.h"
#include <functional>
#include <QWidget>

class QLabel;
class QLineEdit;
class QTreeWidget;

namespace eup::app {

class BenchLog : public QWidget {
  Q_OBJECT
public:
  BenchLog(Document& document, Standpoint& standpoint, std::function<Asking&()> asking, QWidget* parent = nullptr);
  /// The step that pictures and notes are hung on; empty for none.
  std::function<std::string()> step = [] { return std::string(); };
  /// Written as the name's ending says: .pdf, .html, .csv or .json. The problem that was met; empty when it is there.
  QString writeTo(const QString& path);
  /// Copied beside the wing's file, and a line in the log. The problem that was met; empty when it is there.
  QString hang(const QString& picture);
  /// What is typed and not recorded.
  QString untaken() const;

private:
  enum Column { at, kind, text };
  void refresh();
  void note();
  void chooseAndWrite();
  void choosePicture();
  Document& document;
  Standpoint& standpoint;
  std::function<Asking&()> asking;
  QLineEdit *find = nullptr, *words = nullptr;
  QTreeWidget* list = nullptr;
  QLabel* says = nullptr;
};

} // namespace eup::app
