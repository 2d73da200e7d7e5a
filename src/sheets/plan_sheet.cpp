#include "judge/accept.h"
#include "judge/compare.h"
#include "judge/remedy.h"
#include "judge/rug_facts.h"
#include "measure/texts.h"
#include "room/facts.h"
#include "scheme/spoken.h"
#include "sheets/drawing.h"
#include "sheets/paper_pen.h"
#include "sheets/plan_layout.h"
#include "sheets/sheet.h"
#include "sheets/tr.h"

#include <QFontMetricsF>
#include <QImage>

#include <fmt/format.h>

#include <algorithm>
#include <cmath>

namespace mezzet::sheets {

namespace {

/// What stands, as it is numbered on the plan; then what hangs.
std::vector<const Piece*> listedIn(const FloorView& scene) {
    std::vector<const Piece*> out;
    for (std::size_t i = 0; i < scene.placed.size(); ++i)
        out.push_back(&scene.piece(i));
    for (const Piece& one : scene.scheme->pieces)
        if ((one.onWall() && !one.isGroup()) || one.on.isCeiling())
            out.push_back(&one);
    return out;
}

/// Paints one sheet in millimetres of paper.
class PlanPainter : public PaperPen {
public:
    PlanPainter(QPainter& p, double unitsPerMm, const Project& job, const FloorView& scene,
                const std::vector<Reading>& readings, const Layout& l, std::string date, bool mends)
        : PaperPen(p, unitsPerMm), job_(job), scene_(scene), readings_(readings), l_(l),
          date_(std::move(date)), listed_(listedIn(scene)), mends_(mends) {
        if (!mends_)
            return;
        for (const auto& r : readings_)
            if (r.toMend())
                mend_.push_back(&r);
            else if (r.accepted)
                accepted_.push_back(&r);
    }

    /// The plan with its lists. Says how many schedule rows did not fit.
    int first(bool pages) {
        pages_ = pages;
        p_.fillRect(QRectF(0, 0, l_.width() * k_, l_.height() * k_), Qt::white);
        plan();
        const int left = l_.lists.isNull() ? static_cast<int>(listed_.size()) : lists(l_.lists);
        title(1);
        return left;
    }

    /// A page of all the lists, where the plan needs its own page whole. As first().
    int listsPage(int page) {
        pages_ = true;
        p_.fillRect(QRectF(0, 0, l_.width() * k_, l_.height() * k_), Qt::white);
        const int left = lists(
            {margin, margin, l_.width() - 2 * margin, l_.height() - 2 * margin - titleHeight - 4});
        title(page);
        return left;
    }

    /// A page of reasons alone, for when the plan's own page has no room for them.
    void whyPage(int page) {
        p_.fillRect(QRectF(0, 0, l_.width() * k_, l_.height() * k_), Qt::white);
        const QRectF all(margin, margin, l_.width() - 2 * margin,
                         l_.height() - 2 * margin - titleHeight - 4);
        whyList(all.left(), all.top(), all.width(), all.bottom());
        title(page);
    }
    [[nodiscard]] bool whyLeft() const { return whyLeft_; }

    /// A page of the schedule alone, from a row on; says how many rows are left.
    int schedulePage(int from, int page) {
        p_.fillRect(QRectF(0, 0, l_.width() * k_, l_.height() * k_), Qt::white);
        const QRectF all(margin, margin, l_.width() - 2 * margin,
                         l_.height() - 2 * margin - titleHeight - 4);
        double y = heading(tr("Schedule of pieces, continued"), all.left(), all.top(), all.width());
        const int count = static_cast<int>(listed_.size());
        int i = from;
        for (; i < count && y + rowHeight <= all.bottom(); ++i, y += rowHeight)
            scheduleRow(i, all.left(), y, all.width());
        title(page);
        return count - i;
    }

private:
    void plan() {
        const Room& room = *scene_.room;
        const double perMm = k_ / l_.scale.denominator;
        const Box b = room.bounds();
        const QPointF middle = dev(l_.drawing).center();
        Labels labels(dev(l_.drawing));
        Drawing d{p_,     paperLook(), middle - QPointF(b.centre().x, b.centre().y) * perMm,
                  perMm,  k_ * 0.25,   job_.notation,
                  &labels};
        const Vec2 pad{graphSquare(job_.notation).mm(), graphSquare(job_.notation).mm()};
        p_.save();
        p_.setClipRect(QRectF(d.at(b.low), d.at(b.high)));
        drawGraph(d, QRectF(d.at(b.low - pad), d.at(b.high + pad)));
        p_.restore();
        drawNeighbours(d, job_.rooms, job_.scheme().room);
        drawRoom(d, room);
        drawPieces(d, scene_, false, PiecesShown::flat);
        drawSeams(d, seamsOnFloor(scene_, *job_.library.rugs, *job_.library.book));
        drawPieces(d, scene_, false, PiecesShown::upright);
        namePieces(d, scene_, {2.5 * k_, true, true});
        wallFaces(d, room);
        int n = 0;
        for (const Reading* r : mend_) {
            ++n;
            if (r->surface.isFloor())
                mark(d, *r, n);
        }
        dimensions(d, room);
        drawWallLetters(d, room, (aroundRoom - 3.6) * k_);
        if (room.north)
            drawNorth(d, QPointF((l_.drawing.right() - 8) * k_, (l_.drawing.top() + 14) * k_),
                      5.5 * k_, *room.north);
        const QRectF bar = scaleBar();
        labels.keepClear(bar);
        labels.place();
        labels.draw(p_);
    }

    /// The wall faces once more, as lines that can be measured on the sheet.
    void wallFaces(const Drawing& d, const Room& room) {
        p_.setPen(QPen(paperLook().ink, 0.12 * k_, Qt::SolidLine, Qt::FlatCap));
        for (std::size_t i = 0; i < room.stretches(); ++i)
            p_.drawLine(d.at(room.stretchAt(i).start), d.at(room.stretchAt(i).end));
    }

    void mark(const Drawing& d, const Reading& r, int n) {
        const QColor colour = paperLook().of(r.verdict);
        const QPointF a = d.at(r.at[0]);
        const QPointF b = d.at(r.at[1]);
        p_.setPen(QPen(colour, 0.3 * k_));
        p_.drawLine(a, b);
        // A ratio is marked at the end of what it measures, off the piece's name.
        const bool ratio = r.value.quantity == Quantity::ratio;
        Chip chip{letterOf(n), sans(2.4 * k_, QFont::DemiBold), colour, colour, Qt::white};
        chip.round = 0;
        chip.small = true;
        drawChip(d, a, ratio ? a : b, chip);
    }
    static QString letterOf(int n) {
        QString s;
        for (; n > 0; n = (n - 1) / 26)
            s.prepend(QChar('a' + (n - 1) % 26));
        return s;
    }

    void dimensions(const Drawing& d, const Room& room) {
        const double letter = 2.5 * k_;
        const double wall = drawnWall.mm() * d.scale;
        for (std::size_t i = 0; i < room.walls.size(); ++i) {
            const Wall& w = room.walls[i];
            const double out = wall + standsOut(room, static_cast<int>(i)) * d.scale;
            std::vector<std::pair<Length, Length>> holes;
            for (const Opening& o : room.openings)
                if (o.wall == static_cast<int>(i))
                    holes.emplace_back(o.left, o.left + o.width);
            for (const Fixture& f : room.fixtures)
                if (f.wall == static_cast<int>(i) && f.isBreast())
                    holes.emplace_back(f.left, f.left + f.width);
            for (const Recess& r : room.recesses)
                if (r.wall == static_cast<int>(i))
                    holes.emplace_back(r.left, r.left + r.width);
            std::sort(holes.begin(), holes.end());
            if (!holes.empty()) {
                Length from;
                const auto stretchTo = [&](Length to) {
                    if (to - from > Length::millimetres(1))
                        drawDimension(d, d.at(w.at(from)), d.at(w.at(to)), out + 3.2 * k_,
                                      QString::fromStdString(write(to - from, job_.notation)),
                                      letter * 0.9);
                    from = to;
                };
                for (const auto& [left, right] : holes) {
                    stretchTo(left);
                    stretchTo(right);
                }
                stretchTo(w.length());
            }
            drawDimension(d, d.at(w.start), d.at(w.end), out + 8.6 * k_,
                          QString::fromStdString(write(w.length(), job_.notation)), letter);
        }
    }

    /// Gives back where it is.
    QRectF scaleBar() {
        const bool metric = isMetric(job_.notation.units);
        const double step = metric ? 500.0 : 304.8;
        const double unit = step / l_.scale.denominator;
        const int count = metric ? 4 : 6;
        const double x = l_.drawing.left() + 2;
        const double y = l_.drawing.bottom() - 3;
        for (int i = 0; i < count; ++i) {
            p_.setPen(QPen(paperLook().ink, 0.15 * k_));
            p_.setBrush(i % 2 == 0 ? paperLook().ink : QColor(Qt::white));
            p_.drawRect(dev({x + i * unit, y, unit, 1.4}));
        }
        for (int i = 0; i <= count; i += 2)
            text({x + i * unit - 8, y - 3.8, 16, 3.4}, Qt::AlignHCenter | Qt::AlignBottom,
                 metric ? QString("%1 m").arg(i * 0.5) : QString("%1'").arg(i), 2.3, true);
        return dev({x - 8, y - 4, count * unit + 16, 6});
    }

    void scheduleRow(int i, double x, double y, double w) {
        const Piece& p = *listed_[static_cast<std::size_t>(i)];
        auto name = QString::fromStdString(p.name);
        if (!p.on.isFloor() && !p.on.isCarried())
            name += ", " + QString::fromStdString(spoken(p.on, job_.wording()));
        text({x, y, 6, rowHeight}, Qt::AlignRight | Qt::AlignVCenter, QString::number(i + 1), 2.5,
             true, QFont::Normal, paperLook().soft);
        text({x + 7.5, y, w - 7.5 - 30, rowHeight}, Qt::AlignLeft | Qt::AlignVCenter, name, 2.7);
        text({x + w - 30, y, 30, rowHeight}, Qt::AlignRight | Qt::AlignVCenter,
             QString::fromStdString(words(p.size, job_.notation)), 2.6, true);
    }

    /// Schedule and what is to be mended, side by side when the sheet is upright. Returns rows
    /// left.
    int lists(const QRectF& area) {
        const bool beside = !l_.across || area.width() > 150;
        const double gutter = 6;
        const double w = beside ? (area.width() - gutter) / 2 : area.width();
        const QString unit = isMetric(job_.notation.units)
                                 ? QString::fromUtf8(unitsName(job_.notation.units).data())
                                 : QString(tr("inches"));
        // What is to mend has the room it needs, up to half.
        const double mendHeight = beside    ? area.height()
                                  : !mends_ ? 0
                                            : std::min(7 + mendNeeds(w) + 2, area.height() * 0.5);
        double y =
            heading(tr("Pieces, width x depth x height, %1").arg(unit), area.left(), area.top(), w);
        const double bottom = beside ? area.bottom() : area.bottom() - mendHeight - 3;
        const int count = static_cast<int>(listed_.size());
        int i = 0;
        const bool all = y + count * rowHeight <= bottom;
        for (; i < count && y + rowHeight <= (all ? bottom : bottom - rowHeight);
             ++i, y += rowHeight)
            scheduleRow(i, area.left(), y, w);
        if (i < count)
            text({area.left(), y, w, rowHeight}, Qt::AlignLeft | Qt::AlignVCenter,
                 QString(pages_ ? tr("and %1 more, on the next page")
                                : tr("and %1 more, in the PDF"))
                     .arg(count - i),
                 2.6, false, QFont::Normal, paperLook().soft);
        const double mx = beside ? area.left() + w + gutter : area.left();
        const double end =
            mendList(mx, beside ? area.top() : std::max(y, std::min(y + rowHeight, bottom)) + 3, w,
                     area.bottom());
        const auto reasons = whyLines();
        double whyNeeds = reasons.empty() ? 0 : 7;
        for (const auto& r : reasons)
            whyNeeds += heightOf(r, w) + 1.2;
        whyLeft_ = !reasons.empty() && end + 3 + whyNeeds > area.bottom();
        const double after =
            reasons.empty() || whyLeft_ ? end : whyList(mx, end + 3, w, area.bottom());
        facts(mx, after + 3, w, area.bottom());
        return count - i;
    }

    /// Why this scheme, and why each choice, as they were noted; with what they cost.
    QStringList whyLines() const {
        QStringList out;
        if (!scene_.scheme->note.empty())
            out << QString::fromStdString(scene_.scheme->note);
        for (const Piece& p : scene_.scheme->pieces)
            if (!p.reason.empty())
                out << QString::fromStdString(p.name + ": " + p.reason);
        const Wording say = job_.wording();
        for (const Reading* r : accepted_)
            out << QString::fromStdString(worded("Accepted: {}, {}: {}", titleWithSubject(*r, say),
                                                 words(r->value, say.notation),
                                                 whyAccepted(*r, *scene_.scheme)));
        double cost = 0;
        int priced = 0;
        for (const Piece& p : scene_.scheme->pieces)
            if (p.cost) {
                cost += *p.cost;
                ++priced;
            }
        if (priced > 0)
            out << tr("Cost of the %1 priced of %2 pieces: %3")
                       .arg(priced)
                       .arg(scene_.scheme->pieces.size())
                       .arg(QString::fromStdString(writeCost(cost)));
        return out;
    }
    /// Gives back where it ends.
    double whyList(double x, double top, double w, double bottom) {
        double y = heading(tr("Why"), x, top, w);
        for (const auto& s : whyLines()) {
            const double h = heightOf(s, w);
            if (y + h > bottom)
                break;
            p_.setFont(sans(2.6 * k_));
            p_.setPen(paperLook().ink);
            p_.drawText(dev({x, y, w, h + 1}), Qt::TextWordWrap, s);
            y += h + 1.2;
        }
        return y;
    }

    QString sentence(const Reading& r) const {
        const Wording say = job_.wording();
        return QString::fromStdString(
            fmt::format("{}{}: {}", subjectOf(r, {*scene_.room, *scene_.scheme, job_.notation}),
                        r.other.is == Target::Is::none || r.other.is == Target::Is::room
                            ? std::string()
                            : ", " + spoken(r.other, say),
                        whyOf(r, say)));
    }
    double mendNeeds(double w) const {
        double y = 0;
        for (const Reading* r : mend_)
            y += heightOf(sentence(*r), w - 12.5) + 1.2;
        return mend_.empty() ? 5 : y;
    }
    double heightOf(const QString& s, double w) const { return PaperPen::heightOf(s, w, 2.6); }
    /// What the room measures, where there is room for it.
    void facts(double x, double top, double w, double bottom) {
        if (!scene_.room->closed)
            return;
        const auto lines = factLines(factsOf(*scene_.room), job_.notation);
        if (top + 7 + static_cast<double>(lines.size()) * 4 > bottom)
            return;
        double y = heading(tr("The room"), x, top, w);
        for (const auto& [what, value] : lines) {
            text({x, y, w - 34, 4}, Qt::AlignLeft | Qt::AlignVCenter, QString::fromStdString(what),
                 2.6);
            text({x + w - 34, y, 34, 4}, Qt::AlignRight | Qt::AlignVCenter,
                 QString::fromStdString(value), 2.5, true);
            y += 4;
        }
    }
    /// Gives back where it ends.
    double mendList(double x, double top, double w, double bottom) {
        if (!mends_)
            return top - 3;
        double y = heading(
            mend_.empty() ? tr("Nothing to mend") : tr("To mend, %1").arg(mend_.size()), x, top, w);
        if (mend_.empty()) {
            const auto* s = job_.library.book->schoolById(job_.judgement.school);
            text({x, y, w, rowHeight}, Qt::AlignLeft | Qt::AlignVCenter,
                 tr("Every reading sits right, judged “%1”.").arg(QString::fromStdString(s->title)),
                 2.6);
        }
        int n = 0;
        for (const Reading* r : mend_) {
            ++n;
            const auto s = sentence(*r);
            const double h = heightOf(s, w - 12.5);
            const double spare = n == static_cast<int>(mend_.size()) ? 0 : 4; // for "and more"
            if (y + h > bottom - spare) {
                text({x, y, w, 3.5}, Qt::AlignLeft,
                     tr("and %1 more").arg(static_cast<int>(mend_.size()) - n + 1), 2.6, false,
                     QFont::Normal, paperLook().soft);
                return bottom;
            }
            const QColor colour = paperLook().of(r->verdict);
            text({x, y, 4, 3.6}, Qt::AlignLeft, letterOf(n), 2.7, false, QFont::DemiBold, colour);
            drawVerdict(p_, dev({x + 5, y + 0.7, 5, 2.3}), r->verdict, colour);
            p_.setFont(sans(2.6 * k_));
            p_.setPen(paperLook().ink);
            p_.drawText(dev({x + 12.5, y, w - 12.5, h + 1}), Qt::TextWordWrap, s);
            y += h + 1.2;
        }
        return mend_.empty() ? y + rowHeight : y;
    }

    void title(int page) {
        const double y = l_.height() - margin - titleHeight;
        const double w = l_.width() - 2 * margin;
        p_.setBrush(Qt::NoBrush);
        p_.setPen(QPen(paperLook().ink, 0.35 * k_));
        p_.drawRect(dev({margin, y, w, titleHeight}));
        const double c1 = margin + w * 0.42;
        const double c2 = margin + w * 0.7;
        rule(c1, y, c1, y + titleHeight);
        rule(c2, y, c2, y + titleHeight);
        const auto field = [&](double x, double fy, double fw, const QString& label,
                               const QString& value, double size, int weight = QFont::Normal) {
            text({x + 2.5, fy, fw - 5, 3.4}, Qt::AlignLeft, label, 2.2, false, QFont::Normal,
                 paperLook().soft);
            text({x + 2.5, fy + 3, fw - 5, 6.5}, Qt::AlignLeft | Qt::AlignVCenter, value, size,
                 false, weight);
        };
        const auto q = [](const std::string& s) { return QString::fromStdString(s); };
        field(margin, y + 0.8, c1 - margin, tr("Job"), q(job_.title), 4.4, QFont::DemiBold);
        field(margin, y + 10.4, c1 - margin, job_.client.empty() ? tr("Room") : tr("Client, room"),
              q(job_.client.empty() ? scene_.room->name : job_.client + ", " + scene_.room->name),
              3.2);
        field(c1, y + 0.8, c2 - c1, tr("Sheet"),
              page == 1 ? tr("Plan") : tr("Plan, page %1").arg(page), 3.8, QFont::Medium);
        field(c1, y + 10.4, c2 - c1, tr("Scheme"), q(scene_.scheme->name), 3.2);
        const double half = (margin + w - c2) / 2;
        field(c2, y + 0.8, half, tr("Scale"), q(l_.scale.words), 3.4, QFont::Medium);
        field(c2 + half, y + 0.8, half, tr("Date"), q(date_), 3.2);
        field(c2, y + 10.4, half, tr("Ceiling"), q(write(scene_.room->ceiling, job_.notation)),
              3.2);
        if (mends_)
            field(c2 + half, y + 10.4, half, tr("Judged by"),
                  q(job_.library.book->schoolById(job_.judgement.school)->title), 3.2);
        if (page == 1)
            text({margin, l_.height() - margin + 0.8, w, 3}, Qt::AlignLeft, closureNote(), 2.1,
                 false, QFont::Normal, paperLook().soft);
    }
    QString closureNote() const {
        return QString::fromStdString(scene_.room->closure.words) +
               tr(" Check on site before ordering. Structure, wiring and fixings that carry weight "
                  "are for the licensed trades and the local code.");
    }

    const Project& job_;
    const FloorView scene_;
    const std::vector<Reading>& readings_;
    const Layout& l_;
    std::string date_;
    std::vector<const Reading*> mend_;
    std::vector<const Reading*> accepted_; ///< left as they are
    std::vector<const Piece*> listed_;     ///< in the schedule; those that stand first
    bool mends_ = true;                    ///< tells what is to mend
    bool whyLeft_ = false;                 ///< the reasons found no room on the plan's page
    bool pages_ = true;                    ///< what doesn't fit goes on further pages
};

} // namespace

namespace {

/// All that a plan's pages show; they keep it.
struct PlanShown {
    Project job;
    ScenePtr scene;
    std::vector<Reading> readings;
    Layout layout;
    std::string date;
    bool mends = true;

    [[nodiscard]] PlanPainter painter(QPainter& p, double k) const {
        return {p, k, job, *scene, readings, layout, date, mends};
    }
};

Result<Sheet> planPages(const Project& job, const SheetOptions& options) {
    auto scene = sceneOf(job);
    if (!scene)
        return scene.problem();
    auto readings = judge(**scene, *job.library.book, job.judgement);
    // A thing to mend takes two rows or so.
    const auto mend = options.mends ? std::count_if(readings.begin(), readings.end(),
                                                    [](const Reading& r) { return r.toMend(); })
                                    : 0;
    const int count = static_cast<int>(listedIn(**scene).size());
    auto layout = chooseLayout(job, options, std::max(count, 2 * static_cast<int>(mend)));
    if (!layout)
        return layout.problem();
    loadFonts();
    const auto of = std::make_shared<const PlanShown>(
        PlanShown{job, *scene, std::move(readings), *layout, dateOr(options.date), options.mends});
    const bool pages = !options.onePage;
    // How many pages the schedule takes is known by painting the first for nothing.
    QImage none(8, 8, QImage::Format_RGB32);
    QPainter scratch(&none);
    auto trial = of->painter(scratch, 1);
    int left = trial.first(pages);
    bool whyLeft = trial.whyLeft();
    Sheet sheet{{layout->width(), layout->height(), job.title + tr(", plan"), {}, {}},
                layout->paper.name + (layout->across ? " across" : " upright"),
                layout->scale.words};
    auto& paper = sheet.paper;
    paper.pages.emplace_back(
        [of, pages](QPainter& p, double k) { of->painter(p, k).first(pages); });
    if (pages && layout->lists.isNull()) {
        auto lists = of->painter(scratch, 1);
        left = lists.listsPage(2);
        whyLeft = lists.whyLeft();
        paper.pages.emplace_back([of](QPainter& p, double k) { of->painter(p, k).listsPage(2); });
    }
    while (pages && left > 0) {
        const int from = count - left;
        const int page = static_cast<int>(paper.pages.size()) + 1;
        left = of->painter(scratch, 1).schedulePage(from, page);
        paper.pages.emplace_back([of, from, page](QPainter& p, double k) {
            of->painter(p, k).schedulePage(from, page);
        });
    }
    if (pages && whyLeft) {
        const int page = static_cast<int>(paper.pages.size()) + 1;
        paper.pages.emplace_back(
            [of, page](QPainter& p, double k) { of->painter(p, k).whyPage(page); });
    }
    return sheet;
}

} // namespace

const SheetKind planSheet{
    .id = "plan",
    .title = "The plan",
    .about = "The room from above to scale, its pieces in a schedule, and what is left to mend.",
    .asks = {Asks::paper, Asks::scale, Asks::mends},
    .pages = &planPages,
    .onePageAsPicture = true,
};

} // namespace mezzet::sheets
