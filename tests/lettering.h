#pragma once

#include <QFontMetricsF>
#include <QPaintDevice>
#include <QPaintEngine>
#include <QPainterPath>
#include <QPolygonF>
#include <QString>

#include <cmath>
#include <string>
#include <vector>

namespace mezzet::test {

/// A paint device that keeps what is lettered on it, and tells what lies over what: it knows
/// nothing of how places were found.
class Lettering : public QPaintDevice {
public:
    explicit Lettering(QSize size) : size_(size), engine_(*this) {}

    struct Text {
        QString words;
        QPolygonF ink; ///< device; the smallest box about the letters
    };

    [[nodiscard]] QPaintEngine* paintEngine() const override { return &engine_; }
    [[nodiscard]] const std::vector<Text>& texts() const { return texts_; }
    /// What is wrong, a line each: letters over letters, letters painted over, letters cut off.
    [[nodiscard]] std::vector<std::string> faults() const {
        std::vector<std::string> out = covered_;
        const QRectF all(QPointF{}, QSizeF{size_});
        for (std::size_t i = 0; i < texts_.size(); ++i) {
            if (!all.adjusted(-0.5, -0.5, 0.5, 0.5).contains(texts_[i].ink.boundingRect()))
                out.push_back("\"" + texts_[i].words.toStdString() + "\" is cut off");
            for (std::size_t k = 0; k < i; ++k)
                if (overlap(texts_[i].ink, texts_[k].ink))
                    out.push_back("\"" + texts_[i].words.toStdString() + "\" lies over \"" +
                                  texts_[k].words.toStdString() + "\"");
        }
        return out;
    }

protected:
    int metric(PaintDeviceMetric m) const override {
        switch (m) {
        case PdmWidth:
            return size_.width();
        case PdmHeight:
            return size_.height();
        case PdmWidthMM:
            return size_.width() * 254 / 960;
        case PdmHeightMM:
            return size_.height() * 254 / 960;
        case PdmNumColors:
            return 1 << 24;
        case PdmDepth:
            return 32;
        case PdmDevicePixelRatio:
            return 1;
        case PdmDpiX:
        case PdmDpiY:
        case PdmPhysicalDpiX:
        case PdmPhysicalDpiY:
            return 96;
        default:
            return QPaintDevice::metric(m);
        }
    }

private:
    class Engine : public QPaintEngine {
    public:
        explicit Engine(Lettering& of) : QPaintEngine(AllFeatures), of_(of) {}
        bool begin(QPaintDevice*) override { return true; }
        bool end() override { return true; }
        void updateState(const QPaintEngineState&) override {}
        void drawPixmap(const QRectF&, const QPixmap&, const QRectF&) override {}
        [[nodiscard]] Type type() const override { return User; }
        void drawPath(const QPainterPath& path) override {
            const QBrush& b = state->brush();
            if (b.style() == Qt::SolidPattern && b.color().alphaF() * state->opacity() > 0.5)
                of_.cover(state->transform().map(path));
        }
        void drawPolygon(const QPointF* points, int count, PolygonDrawMode mode) override {
            if (mode == PolylineMode)
                return;
            QPainterPath path;
            path.addPolygon(QPolygonF(QList<QPointF>(points, points + count)));
            path.closeSubpath();
            drawPath(path);
        }
        void drawTextItem(const QPointF& at, const QTextItem& text) override {
            const QRectF box = QFontMetricsF(text.font()).tightBoundingRect(text.text());
            if (text.text().trimmed().isEmpty() || state->opacity() < 0.05)
                return;
            of_.texts_.push_back(
                {text.text(), state->transform().map(QPolygonF(box.translated(at)))});
        }

    private:
        Lettering& of_;
    };

    /// By more than a hair's breadth.
    static bool overlap(const QPolygonF& a, const QPolygonF& b) {
        if (!a.boundingRect().intersects(b.boundingRect()))
            return false;
        const QRectF both = a.intersected(b).boundingRect();
        return both.width() > 0.6 && both.height() > 0.6;
    }
    void cover(const QPainterPath& path) {
        for (const Text& t : texts_) {
            if (!path.boundingRect().intersects(t.ink.boundingRect()))
                continue;
            QPainterPath ink;
            ink.addPolygon(t.ink);
            const QRectF both = path.intersected(ink).boundingRect();
            if (both.width() > 1 && both.height() > 1)
                covered_.push_back("\"" + t.words.toStdString() + "\" is painted over");
        }
    }

    QSize size_;
    mutable Engine engine_;
    std::vector<Text> texts_;
    std::vector<std::string> covered_;
};

} // namespace mezzet::test
