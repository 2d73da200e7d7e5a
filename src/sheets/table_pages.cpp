#include "sheets/table_pages.h"
#include "sheets/tr.h"

#include "colour/colour.h"
#include "measure/text.h"
#include "measure/texts.h"
#include "sheets/draw_things.h"
#include "sheets/paper_pen.h"
#include "sheets/plan_layout.h"

#include <algorithm>

namespace mezzet::sheets {

namespace {

constexpr double tableTitle = 19;
constexpr double tableRow = 4.9;
constexpr double tableLetter = 2.7;

struct TableWork {
    TablePages of;
    Paper paper;
    std::string job;
    std::string client;
    std::string date;

    [[nodiscard]] double wide() const {
        return (of.across ? std::max(paper.width, paper.height)
                          : std::min(paper.width, paper.height))
            .mm();
    }
    [[nodiscard]] double high() const {
        return (of.across ? std::min(paper.width, paper.height)
                          : std::max(paper.width, paper.height))
            .mm();
    }
};

class TablePen : public PaperPen {
public:
    TablePen(QPainter& p, double k, const TableWork& w) : PaperPen(p, k), w_(w) {}

    /// A page from a row on; which row is next.
    std::size_t page(std::size_t from, std::size_t number, std::size_t all, bool paints) {
        if (paints)
            clear(w_.wide(), w_.high());
        const double left = margin, width = w_.wide() - 2 * margin;
        const double end = w_.high() - margin - tableTitle - 4;
        double y = margin;
        if (number == 1) {
            if (w_.of.draw && w_.of.drawing > 0) {
                const double high = w_.high() * w_.of.drawing;
                if (paints)
                    w_.of.draw(p_, k_, QRectF(left, y, width, high));
                y += high + 4;
            }
            if (!w_.of.caution.empty()) {
                const auto words = q(w_.of.caution);
                y += paints ? wrapped(left, y, width, words, 2.6, paperLook().soft)
                            : heightOf(words, width, 2.6);
                y += 2.5;
            }
        }
        std::size_t i = from;
        if (i < w_.of.rows.size() && y + 3 * tableRow < end) {
            header(left, y, width, paints);
            y += tableRow + 1;
        }
        for (; i < w_.of.rows.size() && y + 2 * tableRow < end; ++i) {
            const double high = rowHigh(w_.of.rows[i], width);
            // A heading is not left alone at the foot of a page.
            const bool alone = w_.of.rows[i].is == TableRow::Is::heading;
            if (y + high + (alone ? tableRow : 0) > end)
                break;
            if (paints)
                row(w_.of.rows[i], left, y, width);
            y += high;
        }
        if (paints) {
            std::vector<Field> fields{
                {tr("Job"), q(w_.job)},
                {tr("Sheet"), q(w_.of.sheet)},
                {tr("Page"), all > 1 ? tr("%1 of %2").arg(number).arg(all) : QString("1")},
                {tr("Client"), q(w_.client)}};
            for (const auto& [label, value] : w_.of.fields)
                if (fields.size() < 5)
                    fields.push_back({q(label), q(value)});
            while (fields.size() < 5)
                fields.push_back({"", ""});
            fields.push_back({tr("Date"), q(w_.date)});
            titleBlock(margin, w_.high() - margin - tableTitle, width, tableTitle, fields);
        }
        return i;
    }

private:
    [[nodiscard]] double rowHigh(const TableRow& r, double width) const {
        if (r.is == TableRow::Is::heading)
            return tableRow + 4;
        if (r.is == TableRow::Is::words)
            return r.cells.empty() ? 2 : heightOf(q(r.cells.front()), width - 6, 2.5) + 1.6;
        return tableRow;
    }

    template <class F> void columns(double x, double width, F&& f) const {
        double shares = 0;
        for (const TableColumn& c : w_.of.columns)
            shares += c.share;
        double at = x;
        for (std::size_t i = 0; i < w_.of.columns.size(); ++i) {
            const double w = width * w_.of.columns[i].share / shares;
            f(i, at, w - 2);
            at += w;
        }
    }

    void header(double x, double y, double width, bool paints) {
        if (!paints)
            return;
        columns(x, width, [&](std::size_t i, double at, double w) {
            const TableColumn& c = w_.of.columns[i];
            text({at, y, w, tableRow},
                 (c.figures ? Qt::AlignRight : Qt::AlignLeft) | Qt::AlignVCenter, q(c.title), 2.4,
                 false, QFont::DemiBold, paperLook().soft);
        });
        rule(x, y + tableRow, x + width, y + tableRow, 0.25);
    }

    void row(const TableRow& r, double x, double y, double width) {
        if (r.is == TableRow::Is::heading) {
            heading(q(r.cells.empty() ? "" : r.cells.front()), x, y + 2, width);
            return;
        }
        if (r.is == TableRow::Is::words) {
            if (!r.cells.empty())
                wrapped(x + 6, y + 0.8, width - 6, q(r.cells.front()), 2.5, paperLook().soft);
            return;
        }
        columns(x, width, [&](std::size_t i, double at, double w) {
            if (i >= r.cells.size())
                return;
            const TableColumn& c = w_.of.columns[i];
            double in = 0;
            if (i == 0 && r.tick) {
                p_.setPen(QPen(paperLook().ink, 0.2 * k_));
                p_.setBrush(Qt::NoBrush);
                p_.drawRect(dev(QRectF(at, y + 1, 2.8, 2.8)));
                in = 4.4;
            }
            if (i == 0 && !r.swatch.empty()) {
                p_.setPen(QPen(paperLook().ink, 0.15 * k_));
                p_.setBrush(QColor(q(r.swatch)));
                p_.drawRect(dev(QRectF(at + in, y + 1, 2.8, 2.8)));
                in += 4.4;
            }
            text({at + in, y, w - in, tableRow},
                 (c.figures ? Qt::AlignRight : Qt::AlignLeft) | Qt::AlignVCenter, q(r.cells[i]),
                 tableLetter, c.figures, r.strong ? QFont::DemiBold : QFont::Normal);
        });
        rule(x, y + tableRow, x + width, y + tableRow, 0.06);
    }

    const TableWork& w_;
};

} // namespace

Paper paperFor(const Project& job, const SheetOptions& o) {
    return o.paper.value_or(*paperNamed(isMetric(job.notation.units) ? "a4" : "letter"));
}

Sheet tableSheet(const Project& job, const SheetOptions& o, TablePages of) {
    auto work = std::make_shared<TableWork>();
    work->of = std::move(of);
    work->paper = paperFor(job, o);
    work->job = job.title;
    work->client = job.client;
    work->date = dateOr(o.date);
    loadFonts();
    // Where each page begins.
    std::vector<std::size_t> begins{0};
    QImage none(8, 8, QImage::Format_RGB32);
    QPainter scratch(&none);
    constexpr std::size_t mostPages = 400;
    while (begins.size() < mostPages) {
        const std::size_t next =
            TablePen(scratch, 0.1, *work).page(begins.back(), begins.size(), 1, false);
        if (next >= work->of.rows.size())
            break;
        // A page whose drawing leaves no row room is followed by the rows.
        if (next == begins.back() && begins.size() > 1)
            break;
        begins.push_back(next);
        if (o.onePage)
            break;
    }
    Sheet sheet{{work->wide(), work->high(), job.title + ", " + work->of.sheet, {}, {}},
                work->paper.name + (work->of.across ? " across" : " upright"),
                tr("to fit")};
    if (o.onePage)
        begins.resize(1);
    for (std::size_t i = 0; i < begins.size(); ++i)
        sheet.paper.pages.emplace_back(
            [work, from = begins[i], n = i + 1, all = begins.size()](QPainter& p, double k) {
                TablePen(p, k, *work).page(from, n, all, true);
            });
    return sheet;
}

} // namespace mezzet::sheets
