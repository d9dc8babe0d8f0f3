// Small pictures of the pages that an order takes, in the order in which they come out of the printer.
#pragma once
#include "app/look/look.h"
#include "core/exchange/pdf_writer.h"
#include <QWidget>

namespace eup::app {

class PagePreview : public QWidget {
  Q_OBJECT
public:
  explicit PagePreview(QWidget* parent = nullptr);
  void show(std::vector<PrintSection> sections, Paper paper);
  int pages() const { return static_cast<int>(sheets.size()); }

protected:
  void paintEvent(QPaintEvent*) override;
  void resizeEvent(QResizeEvent*) override;

private:
  QRect placeOf(int page) const;
  void fitHeight();
  std::vector<PrintSection> sections;
  std::vector<PrintPage> sheets;
  Paper paper = Paper::a4;
};

} // namespace eup::app
