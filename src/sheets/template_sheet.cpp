// Paper templates at full size: cut out, taped up, and the hooks driven through their marks.
#include "judge/on_walls.h"
#include "measure/text.h"
#include "measure/texts.h"
#include "sheets/drawing.h"
#include "sheets/paper_out.h"
#include "sheets/paper_pen.h"
#include "sheets/tr.h"
#include "sheets/wall_sheets.h"

#include <fmt/format.h>

#include <algorithm>
#include <cmath>

namespace mezzet::sheets {

namespace {

constexpr double edge = 8;    ///< mm of paper a printer leaves white
constexpr double caption = 9; ///< mm at the foot of each tile for what it is

/// One thing to be cut: a piece, or a group as a whole.
struct Cut {
    std::string name;
    std::string hangs; ///< "on wall C, top edge 70 1/2" up, left edge 4' 2" from the corner"
    Box box;           ///< on its wall, mm
    std::vector<std::size_t> pieces; ///< indices in scene.hung
};

std::vector<Cut> cutsOf(const Project& job, const WallsView& scene, const SheetOptions& o) {
    std::vector<Cut> out;
    const auto wanted = plainWord(o.of);
    for (std::size_t i = 0; i < scene.hung.size(); ++i) {
        const Piece& p = scene.hungPiece(i);
        if ((o.wall && p.wall() != *o.wall) || (!wanted.empty() && plainWord(p.name) != wanted))
            continue;
        // Of a group there is one template, unless one of its pieces is asked for.
        if (p.group() != 0 && wanted.empty())
            continue;
        Cut c;
        c.name = p.name;
        c.box = bounds(scene.hung[i].shape);
        for (std::size_t k = 0; k < scene.hung.size(); ++k)
            if (k == i ? !p.isGroup() : p.isGroup() && scene.hungPiece(k).group() == p.id)
                c.pieces.push_back(k);
        if (p.kind->role == Role::curtain || p.hanging.mount == Mount::leaned || c.pieces.empty())
            continue;
        c.hangs = worded("wall {}: top {} up, left edge {} along", wallName(p.wall()),
                         hookWords(Length::millimetres(c.box.high.y), job.notation),
                         hookWords(Length::millimetres(c.box.low.x), job.notation));
        out.push_back(std::move(c));
    }
    return out;
}

/// How a length is parted into tiles that overlap.
struct Tiling {
    int count = 1;
    double step = 0; ///< from one tile's start to the next one's
};

Tiling tiled(double length, double tile, double overlap) {
    if (length <= tile)
        return {1, tile};
    const double step = tile - overlap;
    return {1 + static_cast<int>(std::ceil((length - tile) / step - 1e-9)), step};
}

class CutPainter : public PaperPen {
public:
    CutPainter(QPainter& p, double unitsPerMm, const Project& job, const WallsView& scene,
               const std::vector<HangOf>& hangs, const Cut& cut)
        : PaperPen(p, unitsPerMm), job_(job), scene_(scene), hangs_(hangs), cut_(cut) {}

    /// What lies in a window of the cut, its upper left at (left, top) of the cut in mm, put at
    /// (x, y) of the paper.
    void window(double left, double top, double x, double y, double w, double h) {
        p_.save();
        p_.setClipRect(dev({x, y, w, h}));
        const QPointF origin = dev(x - left - cut_.box.low.x, y - top + cut_.box.high.y);
        const Drawing d{p_, paperLook(), origin, k_, k_ * 0.25, job_.notation};
        for (const std::size_t i : cut_.pieces) {
            const Piece& p = scene_.hungPiece(i);
            std::vector<Vec2> ring;
            for (const Vec2 c : outline(scene_.hung[i].shape, Length::millimetres(0.02)))
                ring.push_back({c.x, -c.y});
            p_.setPen(QPen(paperLook().ink, 0.3 * k_, Qt::SolidLine, Qt::FlatCap, Qt::MiterJoin));
            p_.setBrush(Qt::NoBrush);
            p_.drawPolygon(d.polygon(ring));
            label(d, p, scene_.hung[i]);
        }
        for (const HangOf& held : hangs_)
            if (std::any_of(cut_.pieces.begin(), cut_.pieces.end(),
                            [&](std::size_t i) { return scene_.hung[i].id == held.piece; }))
                hooks(d, held);
        p_.restore();
    }

    /// Crosses where this tile and the next share paper: in the middle of the overlap.
    void marks(double x, double y, double w, double h, double overlap, bool left, bool right,
               bool up, bool down, const std::string& tile) {
        p_.setPen(QPen(paperLook().soft, 0.15 * k_));
        const auto cross = [&](double cx, double cy) {
            p_.drawLine(dev(cx - 3, cy), dev(cx + 3, cy));
            p_.drawLine(dev(cx, cy - 3), dev(cx, cy + 3));
            p_.drawEllipse(dev(cx, cy), 1.4 * k_, 1.4 * k_);
        };
        const double half = overlap / 2;
        for (const double share : {0.25, 0.75}) {
            if (left)
                cross(x + half, y + h * share);
            if (right)
                cross(x + w - half, y + h * share);
            if (up)
                cross(x + w * share, y + half);
            if (down)
                cross(x + w * share, y + h - half);
        }
        // The line to cut or lay the next tile to.
        p_.setPen(QPen(paperLook().soft, 0.12 * k_, Qt::DashLine));
        if (left)
            p_.drawLine(dev(x + half, y), dev(x + half, y + h));
        if (right)
            p_.drawLine(dev(x + w - half, y), dev(x + w - half, y + h));
        if (up)
            p_.drawLine(dev(x, y + half), dev(x + w, y + half));
        if (down)
            p_.drawLine(dev(x, y + h - half), dev(x + w, y + h - half));
        if (!tile.empty())
            text({x + 2, y + h + 0.6, 14, 5}, Qt::AlignLeft | Qt::AlignVCenter,
                 QString::fromStdString(tile), 4, false, QFont::DemiBold);
    }

    /// What this is, and a length to check the printer by.
    void foot(double x, double y, double w, int page, int pages) {
        const bool metric = isMetric(job_.notation.units);
        const double bar = metric ? 50 : 50.8;
        text({x + 16, y + 0.6, w - 16 - bar - 6, 4}, Qt::AlignLeft | Qt::AlignVCenter,
             QString::fromStdString(fmt::format("{}, {}", cut_.name, cut_.hangs)), 2.7);
        text({x + 16, y + 4.4, w - 16 - bar - 6, 4}, Qt::AlignLeft | Qt::AlignVCenter,
             tr("Print at full size (100 %). Tile %1 of %2. Lay the crosses on each other.")
                 .arg(page)
                 .arg(pages),
             2.3, false, QFont::Normal, paperLook().soft);
        const double bx = x + w - bar - 1;
        rule(bx, y + 3, bx + bar, y + 3, 0.2);
        rule(bx, y + 1.6, bx, y + 4.4, 0.2);
        rule(bx + bar, y + 1.6, bx + bar, y + 4.4, 0.2);
        text({bx, y + 4.4, bar, 3.6}, Qt::AlignHCenter,
             metric ? tr("this is 50 mm") : tr("this is 2 inches"), 2.3, false, QFont::Normal,
             paperLook().soft);
    }

private:
    void label(const Drawing& d, const Piece& p, const Placed& where) {
        const Box b = bounds(where.shape);
        const QRectF at(d.at({b.low.x, -b.high.y}), d.at({b.high.x, -b.low.y}));
        p_.setPen(paperLook().ink);
        p_.setFont(sans(7 * k_, QFont::DemiBold));
        const QRectF name(at.left(), at.center().y() - 8 * k_, at.width(), 9 * k_);
        p_.drawText(name, Qt::AlignCenter,
                    QFontMetricsF(p_.font()).elidedText(QString::fromStdString(p.name),
                                                        Qt::ElideRight, at.width() - 6 * k_));
        p_.setFont(lettering(5 * k_));
        p_.drawText(
            QRectF(at.left(), at.center().y() + 1 * k_, at.width(), 7 * k_), Qt::AlignCenter,
            QString::fromStdString(footprintWords(p, job_.notation)) + tr(",  this way up"));
        // An arrow up.
        const double cx = at.center().x();
        const double cy = at.center().y() - 10 * k_;
        p_.setPen(QPen(paperLook().ink, 0.4 * k_));
        p_.drawLine(QPointF(cx, cy), QPointF(cx, cy - 10 * k_));
        p_.drawLine(QPointF(cx, cy - 10 * k_), QPointF(cx - 2.5 * k_, cy - 6 * k_));
        p_.drawLine(QPointF(cx, cy - 10 * k_), QPointF(cx + 2.5 * k_, cy - 6 * k_));
    }
    void hooks(const Drawing& d, const HangOf& h) {
        for (const HookPoint& k : h.hooks) {
            const QPointF at = d.at({k.along.mm(), -k.up.mm()});
            const double r = 5 * k_;
            p_.setPen(QPen(paperLook().tight, 0.25 * k_));
            p_.setBrush(Qt::NoBrush);
            p_.drawLine(at - QPointF(r, 0), at + QPointF(r, 0));
            p_.drawLine(at - QPointF(0, r), at + QPointF(0, r));
            p_.drawEllipse(at, r * 0.5, r * 0.5);
            p_.setFont(lettering(3.4 * k_));
            p_.drawText(QRectF(at.x() + r + k_, at.y() - 3 * k_, 60 * k_, 6 * k_),
                        Qt::AlignLeft | Qt::AlignVCenter,
                        QString::fromStdString("hook, " + fixingWords(k, job_.notation) +
                                               (k.zone.empty() ? "" : tr("; CABLES LIKELY"))));
            if (h.dropAssumed)
                p_.drawText(QRectF(at.x() + r + k_, at.y() + 1.6 * k_, 80 * k_, 6 * k_),
                            Qt::AlignLeft | Qt::AlignVCenter,
                            tr("drop assumed: %1").arg(QString::fromLatin1(measureTheDrop)));
        }
    }

    const Project& job_;
    const WallsView scene_;
    const std::vector<HangOf>& hangs_;
    const Cut& cut_;
};

/// All that the templates show; they keep it.
struct CutShown {
    Project job;
    ScenePtr scene;
    std::vector<HangOf> hangs;
    std::vector<Cut> cuts;
};

/// Whether anything of the cut falls on a tile: it is painted small, and looked at.
bool isInked(const CutShown& of, const Cut& c, double left, double top, double w, double h) {
    constexpr double dots = 1.5; // a millimetre
    QImage tile(QSizeF(w * dots, h * dots).toSize(), QImage::Format_Grayscale8);
    tile.fill(Qt::white);
    QPainter p(&tile);
    CutPainter(p, dots, of.job, *of.scene, of.hangs, c).window(left, top, 0, 0, w, h);
    p.end();
    for (int y = 0; y < tile.height(); ++y) {
        const uchar* line = tile.constScanLine(y);
        if (std::any_of(line, line + tile.width(), [](uchar v) { return v < 250; }))
            return true;
    }
    return false;
}

Result<Sheet> templatePages(const Project& job, const SheetOptions& o) {
    auto scene = sceneOf(job);
    if (!scene)
        return scene.problem();
    if (o.overlap < Length{} || o.overlap > Length::millimetres(60))
        return Problem{"tiles overlap by 0 to 60 mm", "10 mm is usual"};
    const auto of = std::make_shared<const CutShown>(CutShown{
        job, *scene, hangAll(**scene, hookRules(*job.library.book)), cutsOf(job, **scene, o)});
    const auto& cuts = of->cuts;
    if (cuts.empty())
        return Problem{o.of.empty() ? std::string("nothing hangs there that wants a template")
                                    : worded("nothing called “{}” hangs here", o.of),
                       tr("hang a picture first, or name one")};
    loadFonts();
    const Paper paper =
        o.paper.value_or(*paperNamed(isMetric(job.notation.units) ? "a4" : "letter"));
    double width = paper.width.mm();
    double height = paper.height.mm();
    std::string name = paper.name;
    if (o.roll) {
        // In one piece: as long as the cuts laid one after the other ask for.
        width = o.roll->mm();
        height = edge;
        for (const Cut& c : cuts) {
            if (c.box.size().x + 2 * edge > width + 1e-6)
                return Problem{worded("{} is wider than the roll", c.name),
                               worded("take a roll of {} or more, or tiles",
                                      hookWords(Length::millimetres(c.box.size().x + 2 * edge),
                                                job.notation))};
            height += c.box.size().y + caption + edge;
        }
        if (height > 30000)
            return Problem{"all of it makes a roll of over 30 m", "print a wall at a time"};
        name = "roll " + hookWords(*o.roll, job.notation);
    }
    PaperJob out{width, height, job.title + tr(", templates"), {}, {}};
    int blank = 0;
    if (o.roll) {
        out.pages.emplace_back([of, width](QPainter& p, double k) {
            double y = edge;
            for (const Cut& c : of->cuts) {
                CutPainter painter(p, k, of->job, *of->scene, of->hangs, c);
                painter.window(0, 0, edge, y, c.box.size().x + 1, c.box.size().y + 1);
                painter.foot(edge, y + c.box.size().y + 0.8, width - 2 * edge, 1, 1);
                y += c.box.size().y + caption + edge;
            }
        });
    } else {
        const double w = width - 2 * edge;
        const double h = height - 2 * edge - caption;
        // A hair of paper round the cut, so that its outline is whole.
        constexpr double round = 1;
        for (const Cut& c : cuts) {
            const Tiling across = tiled(c.box.size().x + 2 * round, w, o.overlap.mm());
            const Tiling down = tiled(c.box.size().y + 2 * round, h, o.overlap.mm());
            if (out.pages.size() + static_cast<std::size_t>(across.count * down.count) > 400)
                return Problem{"that is over 400 sheets", "print a wall at a time, or use a roll"};
            // A tile that nothing of the cut falls on is left out.
            std::vector<std::pair<int, int>> tiles;
            for (int r = 0; r < down.count; ++r)
                for (int q = 0; q < across.count; ++q)
                    if (across.count * down.count == 1 ||
                        isInked(*of, c, q * across.step - round, r * down.step - round, w, h))
                        tiles.emplace_back(r, q);
                    else
                        ++blank;
            const int tileCount = static_cast<int>(tiles.size());
            for (int n = 0; n < tileCount; ++n) {
                const auto [r, q] = tiles[static_cast<std::size_t>(n)];
                out.pages.emplace_back([of, &c, r = r, q = q, n, tileCount, across, down, w, h,
                                        overlap = o.overlap](QPainter& p, double k) {
                    CutPainter painter(p, k, of->job, *of->scene, of->hangs, c);
                    painter.window(q * across.step - round, r * down.step - round, edge, edge, w,
                                   h);
                    const std::string tile =
                        across.count * down.count == 1
                            ? std::string()
                            : fmt::format("{}{}", static_cast<char>('A' + r % 26), q + 1);
                    painter.marks(edge, edge, w, h, overlap.mm(), q > 0, q + 1 < across.count,
                                  r > 0, r + 1 < down.count, tile);
                    painter.foot(edge, edge + h, w, n + 1, tileCount);
                });
            }
        }
    }
    const auto count = out.pages.size();
    auto told = count == 1 ? std::string(tr("1 sheet")) : worded("{} sheets", count);
    if (blank > 0)
        told += worded(", and {} blank {} left out", blank, blank == 1 ? "one" : "ones");
    return Sheet{std::move(out), name, tr("full size"), std::move(told)};
}

} // namespace

const SheetKind templatesSheet{
    .id = "templates",
    .title = "Paper templates",
    .about = "What hangs at full size, to tape up: each hook is driven through its mark.",
    .asks = {Asks::paper, Asks::anyWall, Asks::piece, Asks::roll},
    .pages = &templatePages,
    .note = "Print at full size (100 %, not “fit to page”). Each sheet has a length to check the "
            "printer by.",
};

} // namespace mezzet::sheets
