// The names of pieces on a plan: written inside them, shortened, beside them, or as a number.
#include "sheets/drawing.h"

#include <QFontMetricsF>

#include <algorithm>
#include <memory>

namespace mezzet::sheets {

namespace {

/// A name that finds no room is tried this much smaller.
constexpr double smallerName = 0.82;

/// A line of a piece's name.
struct NameLine {
    QString text;
    double width; ///< device units
    bool size;    ///< it is the piece's size
};

/// One way to write a name: its lines, and how high their letters are.
struct NameForm {
    std::vector<NameLine> lines;
    double height;
    [[nodiscard]] double row() const { return height * 1.18; }
    [[nodiscard]] QSizeF box(double pen) const {
        double wide = 0;
        for (const NameLine& l : lines)
            wide = std::max(wide, l.width);
        return {wide + 4 * pen, row() * static_cast<double>(lines.size())};
    }
};

/// The room for letters inside a piece, upright: that of the largest upright box about the middle,
/// taken from the piece's own sides for small turns and from the inscribed square for others.
QRectF roomInside(const Drawing& d, const Piece& p, const Placed& where) {
    const Box b = bounds(where.shape);
    const double turn = std::abs(std::remainder(where.pose.turn.inDegrees(), 90.0));
    double w = b.size().x * d.scale;
    double h = b.size().y * d.scale;
    if (turn > 4 || p.footprint.form == FootprintForm::oval) {
        const double side = std::min(p.size.width.mm(), p.size.depth.mm()) * d.scale;
        w = std::min(w, side * (p.footprint.form == FootprintForm::oval ? 0.86 : 1.05));
        h = std::min(h, side * 0.7);
    }
    QPointF middle = d.at(where.pose.at);
    if (p.footprint.form == FootprintForm::ell) {
        const double x = (p.footprint.armOnRight ? -1 : 1) * p.footprint.armWidth.mm() / 2;
        middle =
            d.at(where.pose.toRoom({x, (-p.size.depth.mm() + p.footprint.bodyDepth.mm()) / 2}));
        const bool sideways = std::abs(std::remainder(where.pose.turn.inDegrees(), 180.0)) > 45;
        (sideways ? w : h) = p.footprint.bodyDepth.mm() * d.scale;
    }
    return {middle.x() - w / 2, middle.y() - h / 2, w, h};
}

/// A name in one line, in two (broken at the blank nearest the middle), in one a word.
std::vector<QStringList> brokenAt(const QString& name) {
    std::vector<QStringList> out{{name}};
    int best = -1;
    for (int i = 0; i < name.size(); ++i)
        if (name[i] == ' ' &&
            (best < 0 || std::abs(i - name.size() / 2) < std::abs(best - name.size() / 2)))
            best = i;
    if (best > 0)
        out.push_back({name.left(best), name.mid(best + 1)});
    if (const auto each = name.split(' ', Qt::SkipEmptyParts); each.size() > 2)
        out.push_back(each);
    return out;
}

/// A name made shorter: its first words to their first letters, "S. chair 2", and then left out.
QStringList shortened(const QString& name) {
    QStringList words = name.split(' ', Qt::SkipEmptyParts);
    QStringList out;
    // A number at the end stays with the word before it.
    const auto heads = [&] {
        const bool numbered = words.size() > 1 && words.back().at(0).isDigit();
        return words.size() - (numbered ? 2 : 1);
    };
    for (int i = 0; i < heads(); ++i) {
        words[i] = words[i].left(1) + ".";
        out << words.join(' ');
    }
    while (heads() > 0) {
        words.removeFirst();
        words[0][0] = words[0][0].toUpper();
        out << words.join(' ');
    }
    return out;
}

class Namer {
public:
    Namer(const Drawing& d, const FloorView& scene, const PieceNames& how)
        : d_(d), scene_(scene), how_(how) {}

    void name(std::size_t i) {
        const Piece& p = scene_.piece(i);
        const auto name = QString::fromStdString(p.name);
        label_ = {};
        forms_.clear();
        label_.of = p.id;
        if (p.kind->flat()) {
            label_.weight = 19;
            onRug(i, name);
        } else {
            label_.weight = 20;
            inside(i, name);
            if (how_.numbered)
                numbered(i);
            else
                beside(i, name);
        }
        if (label_.places.empty())
            return;
        QColor halo = p.kind->flat() ? QColor(Qt::transparent) : d_.look.wash(p.kind->family);
        if (!p.kind->flat())
            // It keeps the detail lines off the letters.
            halo.setAlphaF(0.86F);
        label_.paint = [forms = forms_, places = label_.places, halo, pen = d_.pen,
                        besides = label_.onlyClearFrom, number = number_,
                        ink = p.kind->flat() ? d_.look.soft : d_.look.ink, soft = d_.look.soft,
                        paper = d_.look.field](QPainter& to, std::size_t at) {
            const QRectF box = places[at];
            const NameForm& form = *forms[at];
            if (at >= number) {
                to.setPen(QPen(ink, 0.8 * pen));
                to.setBrush(paper);
                to.drawEllipse(box);
                to.setFont(sans(form.height, QFont::Medium));
                to.drawText(box, Qt::AlignCenter, form.lines.front().text);
                return;
            }
            double y = box.top();
            for (const NameLine& l : form.lines) {
                const QRectF row(box.center().x() - l.width / 2 - 2 * pen, y, l.width + 4 * pen,
                                 form.row());
                if (at < besides && halo.alpha() > 0)
                    to.fillRect(row, halo);
                to.setFont(l.size ? lettering(form.height * 0.86) : sans(form.height));
                to.setPen(l.size ? soft : ink);
                to.drawText(row, Qt::AlignCenter, l.text);
                y += form.row();
            }
        };
        d_.labels->add(std::move(label_));
    }

private:
    using FormPtr = std::shared_ptr<const NameForm>;

    [[nodiscard]] FormPtr form(const QStringList& lines, double height,
                               const QString& size = {}) const {
        NameForm out{{}, height};
        const QFontMetricsF metrics(sans(height));
        for (const auto& l : lines)
            out.lines.push_back({l, metrics.horizontalAdvance(l), false});
        if (!size.isEmpty())
            out.lines.push_back(
                {size, QFontMetricsF(lettering(height * 0.86)).horizontalAdvance(size), true});
        return std::make_shared<const NameForm>(std::move(out));
    }
    void tryAt(const FormPtr& f, QPointF middle) {
        QRectF box(QPointF(), f->box(d_.pen));
        box.moveCenter(middle);
        label_.places.push_back(box);
        forms_.push_back(f);
    }
    /// In the piece's middle, or else toward one of its sides, as far as there is room.
    bool within(const FormPtr& f, const QRectF& room) {
        const QSizeF size = f->box(d_.pen);
        const double x = (room.width() - size.width()) / 2;
        const double y = (room.height() - size.height()) / 2;
        if (x < 0 || y < 0)
            return false;
        tryAt(f, room.center());
        for (const double share : {0.55, 1.0})
            for (const QPointF way : {QPointF(0, -1), QPointF(0, 1), QPointF(-1, 0), QPointF(1, 0)})
                if (const QPointF step(way.x() * x * share, way.y() * y * share);
                    step.manhattanLength() > 3 * d_.pen)
                    tryAt(f, room.center() + step);
        return true;
    }
    void inside(std::size_t i, const QString& name) {
        const Piece& p = scene_.piece(i);
        const QRectF room = roomInside(d_, p, scene_.placed[i]);
        if (room.height() < how_.height * smallerName || room.width() < 6 * d_.pen)
            return;
        const auto size =
            how_.withSizes ? QString::fromStdString(footprintWords(p, d_.notation)) : QString();
        int fits = 0;
        if (!size.isEmpty())
            for (const auto& lines : brokenAt(name))
                if (within(form(lines, how_.height, size), room) && ++fits == 1)
                    break;
        for (const double height : {how_.height, how_.height * smallerName})
            for (const auto& lines : brokenAt(name))
                if (fits < 3 && within(form(lines, height), room))
                    ++fits;
        if (fits > 0)
            return;
        for (const auto& brief : shortened(name))
            for (const auto& lines : brokenAt(brief))
                if (within(form(lines, how_.height * smallerName), room))
                    return;
    }
    /// Beside it, where the floor is free.
    void beside(std::size_t i, const QString& name) {
        label_.onlyClearFrom = label_.places.size();
        const Box b = bounds(scene_.placed[i].shape);
        const QRectF body(d_.at(b.low), d_.at(b.high));
        // What is hardly more than a dot has no name beside it: they would be a thicket.
        if (std::max(body.width(), body.height()) < how_.height * 1.2)
            return;
        const auto f = form({name}, how_.height * smallerName);
        const QSizeF size = f->box(d_.pen);
        const double off = 3 * d_.pen;
        const double x = (body.width() + size.width()) / 2 + off;
        const double y = (body.height() + size.height()) / 2 + off;
        for (const QPointF step : {QPointF(x, 0), QPointF(-x, 0), QPointF(0, y), QPointF(0, -y)}) {
            QRectF box(QPointF(), size);
            box.moveCenter(body.center() + step);
            const auto inRoom = [&](QPointF at) {
                return scene_.room->holds(
                    {(at.x() - d_.origin.x()) / d_.scale, (at.y() - d_.origin.y()) / d_.scale});
            };
            if (inRoom(box.topLeft()) && inRoom(box.topRight()) && inRoom(box.bottomLeft()) &&
                inRoom(box.bottomRight()))
                tryAt(f, body.center() + step);
        }
    }
    /// Its number in the list, in a circle.
    void numbered(std::size_t i) {
        const double r = how_.height * 0.68;
        number_ = label_.places.size();
        const auto f = form({QString::number(i + 1)}, how_.height * 0.84);
        for (QRectF box : placesAbout(d_.at(scene_.placed[i].pose.at), {2 * r, 2 * r}, 4)) {
            label_.places.push_back(box);
            forms_.push_back(f);
        }
    }
    /// A rug's name goes along one of its edges, wherever nothing stands on it.
    void onRug(std::size_t i, const QString& name) {
        label_.onlyClearFrom = 0;
        const Box b = bounds(scene_.placed[i].shape);
        const QPointF low = d_.at(b.low);
        const QPointF high = d_.at(b.high);
        const double in = std::min(110.0, b.size().y / 6) * d_.scale + 2 * d_.pen;
        const auto f = form({name}, how_.height);
        const QSizeF size = f->box(d_.pen);
        for (const double y : {high.y() - in - size.height() / 2, low.y() + in + size.height() / 2})
            for (const double share : {0.5, 0.2, 0.8, 0.35, 0.65}) {
                const double x = low.x() + (high.x() - low.x()) * share;
                if (x - size.width() / 2 >= low.x() + in && x + size.width() / 2 <= high.x() - in)
                    tryAt(f, {x, y});
            }
    }

    const Drawing& d_;
    const FloorView& scene_;
    const PieceNames& how_;
    Label label_;
    std::vector<FormPtr> forms_; ///< of each place
    std::size_t number_ = static_cast<std::size_t>(-1);
};

} // namespace

void namePieces(const Drawing& d, const FloorView& scene, const PieceNames& how) {
    if (d.labels == nullptr)
        return;
    for (std::size_t i = 0; i < scene.placed.size(); ++i) {
        const Piece& p = scene.piece(i);
        if (p.kind->flat())
            continue;
        const Box b = bounds(scene.placed[i].shape);
        d.labels->ratherClear(QRectF(d.at(b.low), d.at(b.high)), p.id);
    }
    for (std::size_t i = 0; i < scene.placed.size(); ++i)
        if (!how.which || how.which(scene.piece(i)))
            Namer(d, scene, how).name(i);
}

} // namespace mezzet::sheets
