#include "app/dialogs/carry_view.h"
#include "app/look/tr.h"

#include "app/look/style.h"

#include <QPainter>
#include <QPainterPath>

#include <algorithm>

namespace mezzet::app {

CarryView::CarryView(const FitAnswer& answer, QWidget* parent)
    : QWidget(parent), steps_(answer.carry), gap_(answer.carryGap), high_(answer.carryHigh) {
    setObjectName("carryView");
    setMinimumHeight(130);
    setAccessibleName(QString::fromStdString(answer.carryWords));
    setToolTip(high_ > 0 ? tr("In the doorway, as one faces it") : tr("From above, step by step"));
}

QSize CarryView::sizeHint() const {
    return {480, 150};
}

void CarryView::paintEvent(QPaintEvent*) {
    QPainter p(this);
    p.setRenderHint(QPainter::Antialiasing);
    const auto& colours = look();
    const auto count = static_cast<double>(std::max<std::size_t>(steps_.size(), 1));
    double reach = gap_;
    for (const auto& step : steps_)
        for (const Vec2 c : step) {
            reach = std::max({reach, std::abs(c.x - gap_ / 2) * 2, std::abs(c.y) * 2});
        }
    const double cell = width() / count;
    const double scale =
        high_ > 0 ? (height() - 16) / high_ : std::min(cell - 8, height() - 8.0) / reach;
    for (std::size_t i = 0; i < steps_.size(); ++i) {
        const double middle = cell * (static_cast<double>(i) + 0.5);
        const auto at = [&](Vec2 c) {
            return high_ > 0
                       ? QPointF(middle + (c.x - gap_ / 2) * scale, height() - 8 - c.y * scale)
                       : QPointF(middle + (c.x - gap_ / 2) * scale, height() / 2.0 + c.y * scale);
        };
        // The wall with its gap, or the doorway's frame.
        p.setPen(QPen(colours.ink, 3));
        if (high_ > 0) {
            p.drawPolyline(
                QPolygonF({at({0, 0}), at({0, high_}), at({gap_, high_}), at({gap_, 0})}));
        } else {
            const double side = (cell - 10) / 2 / scale;
            p.drawLine(at({gap_ / 2 - side, 0}), at({0, 0}));
            p.drawLine(at({gap_, 0}), at({gap_ / 2 + side, 0}));
        }
        QPolygonF outline;
        for (const Vec2 c : steps_[i])
            outline << at(c);
        p.setPen(QPen(colours.ink, 1.2));
        QColor wash = colours.right;
        wash.setAlpha(60);
        p.setBrush(wash);
        p.drawPolygon(outline);
        p.setBrush(Qt::NoBrush);
    }
}

} // namespace mezzet::app
