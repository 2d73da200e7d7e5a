// The order of work as bars, and the floor as it is marked with tape: for paper and for the window.
#include "sheets/handover_draw.h"

#include "measure/text.h"
#include "measure/texts.h"
#include "sheets/drawing.h"
#include "sheets/paper_pen.h"
#include "sheets/plan_layout.h"

#include <algorithm>

namespace mezzet::sheets {

namespace {

/// The order of work as bars over days.
class BarPen : public PaperPen {
public:
    BarPen(QPainter& p, double k, const JobSchedule& s, const WorkCalendar& calendar)
        : PaperPen(p, k), s_(s), calendar_(calendar) {}

    void chart(const QRectF& into) {
        const auto order = inOrderOfDays(s_);
        const double labels = into.width() * 0.24;
        const double head = 9;
        const double row = std::min(
            9.0, (into.height() - head) / std::max<double>(1, static_cast<double>(order.size())));
        // Past the end, as far as anything may slip and wait.
        Day last = s_.end;
        for (std::size_t i = 0; i < s_.tasks.size(); ++i)
            last = std::max(last, slackEnd(i));
        const int days = static_cast<int>((last - s_.from).count()) + 1;
        const double left = into.left() + labels;
        const double perDay = (into.width() - labels) / days;
        const auto x = [&](Day d) {
            return left + perDay * static_cast<double>((d - s_.from).count());
        };
        const double foot = into.top() + head + row * static_cast<double>(order.size());
        // Days nobody works are shaded; weeks begin at a line with its date.
        double lettered = -1e9;
        for (Day d = s_.from; d <= last; d += std::chrono::days(1)) {
            if (!calendar_.isWorked(d, {}))
                p_.fillRect(dev(QRectF(x(d), into.top() + head, perDay, foot - into.top() - head)),
                            paperLook().graph);
            const bool week = weekdayOf(d) == 0 || d == s_.from;
            if (week || perDay > 5)
                rule(x(d), into.top() + head, x(d), foot, week ? 0.15 : 0.05);
            if (week && x(d) - lettered > 17) {
                text({x(d) + 0.6, into.top() + 2, 22, 5}, Qt::AlignLeft | Qt::AlignVCenter,
                     q(shortDayWords(d)), 2.5, true);
                lettered = x(d);
            }
        }
        rule(into.left(), into.top() + head, into.right(), into.top() + head, 0.25);
        double y = into.top() + head;
        for (const std::size_t i : order) {
            bar(i, x, perDay, into.left(), labels, y, row);
            y += row;
            rule(into.left(), y, into.right(), y, 0.05);
        }
    }

private:
    [[nodiscard]] Day slackEnd(std::size_t i) const {
        Day d = s_.times[i].end;
        for (int left = s_.times[i].slackDays; left > 0;) {
            d += std::chrono::days(1);
            left -= calendar_.isWorked(d, s_.tasks[i].task.trade) ? 1 : 0;
        }
        return d;
    }

    template <class X>
    void bar(std::size_t i, X x, double perDay, double left, double labels, double y, double row) {
        const JobTask& t = s_.tasks[i];
        const TimedTask& at = s_.times[i];
        const double letter = std::clamp(row * 0.42, 1.8, 3.2);
        text({left, y, labels * 0.62 - 1, row}, Qt::AlignLeft | Qt::AlignVCenter,
             q(spokenTask(t.task.name)), letter, false,
             at.critical ? QFont::DemiBold : QFont::Normal);
        text({left + labels * 0.62, y, labels * 0.38 - 2, row}, Qt::AlignLeft | Qt::AlignVCenter,
             q(std::string(told(t.task.trade))), letter * 0.85, false, QFont::Normal,
             paperLook().soft);
        const double from = x(at.start), to = x(at.end) + perDay;
        const double middle = y + row / 2;
        // How far it may slip: a thin line to a stop.
        if (at.slackDays > 0) {
            const double end = x(slackEnd(i)) + perDay;
            rule(to, middle, end, middle, 0.2);
            rule(end, middle - row * 0.18, end, middle + row * 0.18, 0.2);
        }
        // Drying, or on its way: dots.
        if (t.task.waitDays > 0) {
            const double end = to + perDay * t.task.waitDays;
            p_.setPen(QPen(paperLook().ink, 0.5 * k_, Qt::DotLine));
            p_.drawLine(dev(to, y + row * 0.72), dev(end, y + row * 0.72));
        }
        // On the longest chain the bar is full; else it is an outline.
        p_.setPen(QPen(paperLook().ink, 0.3 * k_));
        p_.setBrush(at.critical ? QBrush(paperLook().ink) : QBrush(Qt::white));
        p_.drawRect(dev(QRectF(from, y + row * 0.24, std::max(to - from, 0.8), row * 0.52)));
    }

    const JobSchedule& s_;
    const WorkCalendar& calendar_;
};

} // namespace

void drawOrderOfWork(QPainter& p, double k, const QRectF& mm, const JobSchedule& s,
                     const WorkCalendar& calendar) {
    BarPen(p, k, s, calendar).chart(mm);
}

void drawTapePlan(QPainter& p, double k, const QRectF& mm, const Scene& scene,
                  const Notation& shown, const TapeOut& tape, std::optional<std::size_t> step) {
    // Pieces by number, in the order they are marked.
    std::vector<int> order;
    for (const TapeStep& s : tape.steps)
        if (order.empty() || order.back() != s.piece)
            order.push_back(s.piece);
    const Box b = scene.room->bounds();
    const double perMm = std::min((mm.width() - 2 * aroundRoom) / b.size().x,
                                  (mm.height() - 2 * aroundRoom) / b.size().y) *
                         k;
    const QPointF middle =
        QRectF(mm.left() * k, mm.top() * k, mm.width() * k, mm.height() * k).center();
    Labels labels(QRectF(mm.left() * k, mm.top() * k, mm.width() * k, mm.height() * k));
    Drawing d{p,      paperLook(), middle - QPointF(b.centre().x, b.centre().y) * perMm,
              perMm,  k * 0.25,    shown,
              &labels};
    drawRoom(d, *scene.room);
    drawPieces(d, FloorView(scene), true);
    p.setPen(Qt::NoPen);
    p.setBrush(paperLook().ink);
    for (const TapeStep& s : tape.steps)
        p.drawEllipse(d.at(s.at), 0.55 * k, 0.55 * k);
    if (step && *step < tape.steps.size()) {
        const TapeStep& s = tape.steps[*step];
        for (const TapeFrom& f : s.from) {
            Vec2 from = s.at;
            if (f.at)
                from = *f.at;
            else if (f.wall)
                from = s.at - scene.room->walls.at(static_cast<std::size_t>(*f.wall)).inward() *
                                  f.length.mm();
            drawDimension(d, d.at(from), d.at(s.at), 0, q(write(f.length, shown)), 3.0 * k);
        }
        p.setPen(QPen(paperLook().ink, 0.6 * k));
        p.setBrush(paperLook().tapeBand);
        p.drawEllipse(d.at(s.at), 1.5 * k, 1.5 * k);
    }
    drawWallLetters(d, *scene.room, (aroundRoom - 3.6) * k);
    for (std::size_t i = 0; i < order.size(); ++i) {
        const Placed* at = scene.fromAbove(order[i]);
        if (at == nullptr)
            continue;
        const Words number{QString::number(i + 1), lettering(3.4 * k), paperLook().ink, 80};
        // A rug's in its corner, where nothing stands on it; a round one's beside its middle point.
        const Piece& piece = *scene.pieceById(order[i]);
        QPointF from = d.at(at->pose.at);
        if (piece.kind->flat())
            from = d.at(at->pose.toRoom({-piece.size.width.mm() / 2, -piece.size.depth.mm() / 2})) *
                       0.82 +
                   from * 0.18;
        else if (piece.footprint.form == FootprintForm::oval)
            from += QPointF(-2.6, -2.2) * k;
        std::vector<QRectF> places;
        for (const QPointF by : {QPointF(0, 0), QPointF(1.4, 0), QPointF(-1.4, 0), QPointF(0, 1.4),
                                 QPointF(0, -1.4), QPointF(2.6, 1.2), QPointF(-2.6, -1.2)})
            places.push_back(wordsAbout(from + by * 3 * k, number, d.pen));
        drawWords(d, std::move(places), number);
    }
    labels.place();
    labels.draw(p);
}

} // namespace mezzet::sheets
