#pragma once

#include "geometry/shape.h"

#include <QRectF>

#include <algorithm>

namespace mezzet::app {

/// How a surface lies on the screen: its scale, and where its origin is.
struct Camera {
    static constexpr double leastScale = 0.004;
    static constexpr double mostScale = 4;

    double scale = 0.1; ///< pixels to a millimetre
    QPointF origin{80, 80};

    bool operator==(const Camera&) const = default;
    [[nodiscard]] QPointF toScreen(Vec2 p) const {
        return origin + QPointF(p.x * scale, p.y * scale);
    }
    [[nodiscard]] Vec2 toSurface(QPointF p) const {
        return {(p.x() - origin.x()) / scale, (p.y() - origin.y()) / scale};
    }
    /// Shows a box in the middle of a part of the screen, as large as it goes.
    void fit(const Box& b, const QRectF& area) {
        const Vec2 size = b.size();
        scale = std::clamp(
            std::min(area.width() / std::max(size.x, 1.0), area.height() / std::max(size.y, 1.0)),
            leastScale, mostScale);
        origin = area.center() - QPointF(b.centre().x, b.centre().y) * scale;
    }
    /// Larger or smaller about a place that stays where it is.
    void zoomBy(double factor, QPointF about) {
        const double next = std::clamp(scale * factor, leastScale, mostScale);
        origin = about + (origin - about) * (next / scale);
        scale = next;
    }
};

} // namespace mezzet::app
