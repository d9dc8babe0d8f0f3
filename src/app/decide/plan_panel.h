// What is decided about the plan: its sheets, how they are made true, what is read, how it is judged and used.
#pragma once
#include "app/boards/plan_board.h"
#include "app/state/asking.h"
#include "core/edit/plan_use.h"
#include <functional>
#include <QTimer>

class QLabel;
class QListWidget;
class QTableWidget;
class QVBoxLayout;

namespace eup::app {

class DecisionEdit;

class PlanPanel : public QWidget {
  Q_OBJECT
public:
  enum class Page { sheets, makeTrue, read, judge, use };
  PlanPanel(Document& document, Standpoint& standpoint, PlanBoard& board, std::function<Asking&()> asking,
            QWidget* parent = nullptr);

  void turnTo(Page page);
  /// Reads a plan file in the background and makes a sheet of it.
  void openPlan(const QString& path, int page = 1);
  /// Links the chosen sheet to a file again; its readings stay.
  void relink(const QString& path);
  /// Takes a copy of the chosen sheet's file into the wing.
  void keepCopy();

Q_SIGNALS:
  void said(const QString& words, bool wrong);
  void wantsReferencePrint();

private:
  void rebuild();
  /// Controls that were made for the design before say nothing more: the sheet or reading they are of may be gone.
  void outdate();
  QWidget* sheetsPage();
  QWidget* truePage();
  QWidget* readPage();
  QWidget* judgePage();
  QWidget* usePage();
  void fillReadings(QTableWidget* table) const;
  void showReading(QVBoxLayout* column);
  void changesTable(QVBoxLayout* column, const Design& next, const std::vector<std::string>& notes,
                    const QString& name);
  DecisionEdit* field(QWidget* parent, const QString& name, const QString& label, const QString& text) const;
  std::size_t sheet() const;
  void editSheet(const QString& name, const std::function<void(PlanSheet&)>& change);
  void typeLength(const QString& text, const std::function<void(double)>& take);
  QString len(double mm) const;

  Document& document;
  Standpoint& standpoint;
  PlanBoard& board;
  std::function<Asking&()> asking; ///< who asks the person now
  QTimer timer;
  QVBoxLayout* column = nullptr;
  QWidget* body = nullptr;
  std::vector<class QToolButton*> tabs;
  Page page = Page::sheets;
  std::size_t theSheet = 0;
  std::optional<std::size_t> reading; ///< chosen in the list
  double otherSpan = 0;               ///< mm; 0: none asked for
  StockRule stock = StockRule::step;
};

} // namespace eup::app
