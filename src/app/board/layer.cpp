#include "app/board/layer.h"

#include <QPaintEngine>

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

} // namespace

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
            picture_ = painted(paint, of_.size(), ratio, opaque_);
            key_ = std::move(key);
        } else if (!runner_.runs(painting_) || key != coming_) {
            runner_.drop(painting_);
            coming_ = key;
            painting_ =
                runner_.run([paint = std::move(paint), size = of_.size(), ratio, opaque = opaque_](
                                Progress&) { return painted(paint, size, ratio, opaque); },
                            [this](QImage made) {
                                picture_ = std::move(made);
                                key_ = coming_;
                                of_.update();
                            });
        }
    }
    if (!picture_.isNull())
        p.drawImage(QPointF(0, 0), picture_);
}

} // namespace mezzet::app
