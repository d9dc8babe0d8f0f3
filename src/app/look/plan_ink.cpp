#include "app/look/plan_ink.h"
#include <cstring>

namespace eup::app {

void drawPlan(QPainter& painter, const PlanImage& image, const Eigen::Matrix3d& viewToPixel, const QRect& view,
              const QColor& colour, double strength) {
  const double ratio = painter.device()->devicePixelRatioF();
  const QSize size = (QSizeF(view.size()) * ratio).toSize();
  if (size.isEmpty()) return;
  QImage ink(size, QImage::Format_Indexed8);
  ink.setDevicePixelRatio(ratio);
  QList<QRgb> table;
  for (int v = 0; v < 256; ++v) {
    const int alpha = static_cast<int>((255 - v) * strength);
    table << qPremultiply(qRgba(colour.red(), colour.green(), colour.blue(), alpha));
  }
  std::memset(ink.bits(), 255, static_cast<std::size_t>(ink.sizeInBytes()));
  Eigen::Matrix3d device = Eigen::Matrix3d::Identity(); // device pixels → logical
  device(0, 0) = device(1, 1) = 1 / ratio;
  device(0, 2) = view.x() + 0.5 / ratio, device(1, 2) = view.y() + 0.5 / ratio;
  drawView(image, viewToPixel * device, ink.width(), ink.height(), ink.bits(),
           static_cast<std::size_t>(ink.bytesPerLine()));
  QImage toned(size, QImage::Format_ARGB32_Premultiplied);
  toned.setDevicePixelRatio(ratio);
  for (int y = 0; y < size.height(); ++y) {
    const uchar* from = ink.constScanLine(y);
    auto* to = reinterpret_cast<QRgb*>(toned.scanLine(y));
    for (int x = 0; x < size.width(); ++x) to[x] = table[from[x]];
  }
  painter.drawImage(view.topLeft(), toned);
}

} // namespace eup::app
