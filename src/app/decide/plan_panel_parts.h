// The few kinds of widget that the pages of the plan's panel are made of.
#pragma once
#include <QLabel>
#include <QPushButton>
#include <string>

namespace eup::app::plan_parts {

inline QString plain(const std::string& text) {
  return QString::fromStdString(text);
}

inline QLabel* caption(QWidget* parent, const QString& text, const char* name = "small") {
  auto* label = new QLabel(text, parent);
  label->setObjectName(name);
  label->setWordWrap(true);
  return label;
}

QPushButton* button(QWidget* parent, const QString& text, const char* name, auto run) {
  auto* b = new QPushButton(text, parent);
  b->setObjectName(name);
  QObject::connect(b, &QPushButton::clicked, parent, run);
  return b;
}

} // namespace eup::app::plan_parts
