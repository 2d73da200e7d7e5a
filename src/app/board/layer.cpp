#include "app/board/layer.h"

#include <QPaintEngine>

#include <algorithm>

namespace mezzet::app {

namespace {

QImage painted(const Layer::Paint& paint, QSize size, double ratio, bool opaque) {
    QImage out(size * ratio, opaque ? QImage::Format_RGB32 : QImage::Format_ARGB32_Premultiplied);
    out.setDevicePixelRatio(ratio);
    out.fill(Qt::transparent);
    QPainter p(&out);
    p.setRenderHint(QPainter::Antialiasing);
    paint(p);
    return out;
}

/// The squares of a picture that aren't clear, those side by side as one: of names and figures few
/// are.
std::vector<QRect> inked(const QImage& picture) {
    constexpr int side = 64;
    std::vector<QRect> out;
    const auto hasInk = [&](const QRect& square) {
        for (int y = square.top(); y <= square.bottom(); ++y) {
            const auto* row = reinterpret_cast<const QRgb*>(picture.constScanLine(y));
            if (std::any_of(row + square.left(), row + square.right() + 1,
                            [](QRgb pixel) { return pixel != 0; }))
                return true;
        }
        return false;
    };
    for (int y = 0; y < picture.height(); y += side)
        for (int x = 0; x < picture.width(); x += side) {
            const QRect square = QRect(x, y, side, side).intersected(picture.rect());
            if (!hasInk(square))
                continue;
            if (!out.empty() && out.back().top() == y && out.back().right() + 1 == x)
                out.back().setRight(square.right());
            else
                out.push_back(square);
        }
    return out;
}

} // namespace

void Layer::keep(QImage made) {
    picture_ = std::move(made);
    inked_ = opaque_ ? std::vector<QRect>{picture_.rect()} : inked(picture_);
}

void Layer::show(QPainter& p, const LayerKey& what, bool heavy, Paint paint) {
    // What keeps no pixels (a picture of strokes, a recording) is given the strokes.
    if (p.paintEngine() != nullptr && p.paintEngine()->type() == QPaintEngine::User) {
        paint(p);
        return;
    }
    LayerKey key = what;
    const double ratio = of_.devicePixelRatioF();
    key.with(of_.width()).with(of_.height()).with(ratio);
    if (key != key_ || picture_.isNull()) {
        if (!heavy) {
            runner_.drop(painting_);
            keep(painted(paint, of_.size(), ratio, opaque_));
            key_ = std::move(key);
        } else if (!runner_.runs(painting_) || key != coming_) {
            runner_.drop(painting_);
            coming_ = key;
            painting_ =
                runner_.run([paint = std::move(paint), size = of_.size(), ratio, opaque = opaque_](
                                Progress&) { return painted(paint, size, ratio, opaque); },
                            [this](QImage made) {
                                keep(std::move(made));
                                key_ = coming_;
                                of_.update();
                            });
        }
    }
    const double kept = picture_.devicePixelRatio();
    for (const QRect& part : inked_)
        p.drawImage(QRectF(QPointF(part.topLeft()) / kept, QSizeF(part.size()) / kept), picture_,
                    part);
}

} // namespace mezzet::app
