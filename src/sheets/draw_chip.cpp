// Chips: a figure or a word in a field of its own.
#include "sheets/drawing.h"

#include <QCache>
#include <QFontMetricsF>
#include <QPaintEngine>

#include <algorithm>
#include <cmath>
#include <optional>

namespace mezzet::sheets {

namespace {

/// The chip itself, without the line that leads to it.
void paintChip(QPainter& p, const Chip& chip, const QRectF& box, double unit) {
    const double round = std::min(chip.round * unit, box.height() / 2);
    p.setPen(QPen(chip.edge, chip.edgeWidth * unit));
    p.setBrush(chip.field);
    p.drawRoundedRect(box, round, round);
    p.setFont(chip.font);
    p.setPen(chip.ink);
    if (!chip.verdict) {
        p.drawText(box, Qt::AlignCenter, chip.text);
        return;
    }
    p.drawText(box.adjusted(8 * unit, 0, -27 * unit, 0), Qt::AlignVCenter | Qt::AlignLeft,
               chip.text);
    drawVerdict(p,
                QRectF(box.right() - 24 * unit, box.center().y() - 4 * unit, 16 * unit, 8 * unit),
                *chip.verdict, chip.ink);
}

/// All that tells one chip's picture from another's.
struct ChipKey {
    QString text;
    QFont font;
    QRgb ink;
    QRgb edge;
    QRgb field;
    std::optional<Verdict> verdict;
    double edgeWidth;
    double round;
    double wide;
    double high;
    double unit;
    double ratio;

    bool operator==(const ChipKey&) const = default;
};

size_t qHash(const ChipKey& k, size_t seed) {
    return qHashMulti(seed, k.text, k.ink, k.wide, k.high, k.ratio);
}

/// Pixels about a chip's box that its edge may touch.
constexpr int margin = 2;
/// Of all the pictures kept, and of one that is worth keeping, in bytes.
constexpr qsizetype mostKept = 8 << 20;
constexpr qsizetype mostOfOne = 256 << 10;

/// A chip's picture for a window of that ratio of pixels: the same few dozen are shown again and
/// again while something is dragged. Null for one too large to keep.
QImage pictureOf(const Chip& chip, QSizeF size, double unit, double ratio) {
    thread_local QCache<ChipKey, QImage> kept(mostKept);
    const ChipKey key{
        chip.text,    chip.font,      chip.ink.rgba(), chip.edge.rgba(), chip.field.rgba(),
        chip.verdict, chip.edgeWidth, chip.round,      size.width(),     size.height(),
        unit,         ratio};
    if (const QImage* known = kept.object(key))
        return *known;
    const QSizeF all(std::ceil(size.width()) + 2 * margin, std::ceil(size.height()) + 2 * margin);
    if (all.width() * all.height() * ratio * ratio * 4 > static_cast<double>(mostOfOne))
        return {};
    QImage made((all * ratio).toSize(), QImage::Format_ARGB32_Premultiplied);
    made.setDevicePixelRatio(ratio);
    made.fill(Qt::transparent);
    QPainter to(&made);
    to.setRenderHint(QPainter::Antialiasing);
    paintChip(to, chip, QRectF(QPointF(margin, margin), size), unit);
    to.end();
    kept.insert(key, new QImage(made), made.sizeInBytes());
    return made;
}

/// Lays a chip's picture on the pixels it is nearest to. False where it has to be painted: on
/// paper, in another scale than its own, or turned.
bool laidAsPicture(QPainter& p, const Chip& chip, const QRectF& box, double unit) {
    if (p.paintEngine() == nullptr || p.paintEngine()->type() != QPaintEngine::Raster ||
        p.worldTransform().type() > QTransform::TxTranslate)
        return false;
    const double ratio = p.device()->devicePixelRatioF();
    const QImage picture = pictureOf(chip, box.size(), unit, ratio);
    if (picture.isNull())
        return false;
    const QPointF on = p.deviceTransform().map(box.topLeft());
    const QPointF aside((std::round(on.x()) - on.x()) / ratio,
                        (std::round(on.y()) - on.y()) / ratio);
    p.drawImage(box.topLeft() + aside - QPointF(margin, margin), picture);
    return true;
}

} // namespace

void drawChip(const Drawing& d, QPointF a, QPointF b, const Chip& chip) {
    if (d.labels == nullptr)
        return;
    const QFontMetricsF m(chip.font);
    const double wide = m.horizontalAdvance(chip.text);
    const double h = chip.small ? m.height() * 1.2 : std::max(m.height() + 3 * d.pen, 19 * d.pen);
    const double w =
        chip.small ? std::max(wide + 4 * d.pen, h) : wide + (chip.verdict ? 37 : 14) * d.pen;
    Label l;
    l.weight = chip.weight;
    l.tag = chip.tag;
    l.places = placesAbout((a + b) / 2, {w, h}, 10);
    l.paint = [chip, a, b, places = l.places, unit = d.pen](QPainter& p, std::size_t at) {
        const QRectF box = places[at];
        // Led to what it tells of, when it had to stand off.
        const QPointF along = b - a;
        const double length2 = along.x() * along.x() + along.y() * along.y();
        const QPointF off = box.center() - a;
        const double share =
            length2 > 0
                ? std::clamp((off.x() * along.x() + off.y() * along.y()) / length2, 0.0, 1.0)
                : 0.0;
        const QPointF foot = a + along * share;
        const double reach = 3 * unit;
        if (!box.adjusted(-reach, -reach, reach, reach).contains(foot)) {
            p.setPen(QPen(chip.edge, 0.9 * unit));
            p.drawLine(foot, QPointF(std::clamp(foot.x(), box.left(), box.right()),
                                     std::clamp(foot.y(), box.top(), box.bottom())));
        }
        if (!laidAsPicture(p, chip, box, unit))
            paintChip(p, chip, box, unit);
    };
    d.labels->add(std::move(l));
}

} // namespace mezzet::sheets
