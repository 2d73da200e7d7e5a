// What a dressed unit is put back by after cleaning: from the front, each thing numbered, with its
// list; tabletops from above; what is still wanted; what goes back in the cupboard.
#include "dress/solve.h"
#include "kit/csv.h"
#include "measure/text.h"
#include "measure/texts.h"
#include "sheets/draw_things.h"
#include "sheets/paper_pen.h"
#include "sheets/plan_layout.h"
#include "sheets/sheet.h"
#include "sheets/tr.h"

#include <fmt/format.h>

#include <algorithm>
#include <set>

namespace mezzet::sheets {

namespace {

constexpr double dressTitle = 19;
constexpr double dressRow = 4.4;
constexpr const char* dressCaution =
    "Fix tall units to the wall, so that they can't tip. No open flame on a shelf. Heavy things "
    "low, glass out of a small child's reach.";

struct DressPage {
    int unit = 0;
    std::vector<DressedSurface> surfaces;
    /// Things alike, side by side or on each other, under one number.
    struct Row {
        int number = 0;
        std::vector<const DressedThing*> things;
    };
    std::vector<Row> rows;
    std::vector<WantedThing> wanted;
    std::vector<std::string> left; ///< what goes back in the cupboard
};

struct DressWork {
    Project job;
    ScenePtr scene;
    Paper paper;
    std::string date;
    std::vector<std::shared_ptr<DressPage>> units;

    [[nodiscard]] std::string length(double mm) const {
        return write(Length::millimetres(mm), job.notation);
    }
    [[nodiscard]] double wide() const { return std::min(paper.width, paper.height).mm(); }
    [[nodiscard]] double high() const { return std::max(paper.width, paper.height).mm(); }
};

/// Whether the second of two books goes on the first's run or stack: alike, and touching.
bool goesOn(const Scene& scene, const DressedThing& a, const DressedThing& b) {
    const Piece& one = *scene.pieceById(a.id);
    const Piece& two = *scene.pieceById(b.id);
    constexpr double touching = 1; // mm
    const bool alike = one.isBook() && two.isBook() && colourOf(one) == colourOf(two) &&
                       one.kind == two.kind && liesOf(one) == liesOf(two);
    return alike &&
           (b.on == a.id || (a.on == 0 && b.on == 0 && std::abs(b.at.x - a.right()) < touching));
}

Result<std::shared_ptr<DressWork>> dressWork(const Project& job, const SheetOptions& o) {
    auto scene = sceneOf(job);
    if (!scene)
        return scene.problem();
    auto w = std::make_shared<DressWork>();
    w->job = job;
    w->scene = *scene;
    w->date = dateOr(o.date);
    w->paper = o.paper.value_or(*paperNamed(isMetric(job.notation.units) ? "a4" : "letter"));
    for (DressedUnit& u : dressedUnits(*w->scene)) {
        const std::string name = w->scene->pieceById(u.id)->name;
        if (!o.of.empty() && foldCase(name) != foldCase(o.of))
            continue;
        auto page = std::make_shared<DressPage>();
        page->unit = u.id;
        page->surfaces = std::move(u.surfaces);
        int number = 0;
        for (const DressedSurface& s : page->surfaces) {
            std::vector<const DressedThing*> order;
            for (const DressedThing& t : s.things)
                order.push_back(&t);
            std::stable_sort(order.begin(), order.end(),
                             [](const DressedThing* a, const DressedThing* b) {
                                 return a->at.x != b->at.x ? a->at.x < b->at.x : a->at.z < b->at.z;
                             });
            const DressedThing* last = nullptr;
            for (const DressedThing* t : order) {
                if (last == nullptr || !goesOn(*w->scene, *last, *t))
                    page->rows.push_back({++number, {}});
                page->rows.back().things.push_back(t);
                last = t;
            }
        }
        page->wanted = wantedFor(w->job, *w->scene, page->surfaces);
        w->units.push_back(std::move(page));
    }
    if (w->units.empty())
        return Problem{o.of.empty() ? std::string("nothing stands on a shelf or a table yet")
                                    : worded("nothing stands on “{}”", o.of),
                       tr("put something there first, like: vase in opening 1 of bookcase")};
    // Units with shelves first; what goes back in the cupboard is told once, with the first.
    std::stable_sort(w->units.begin(), w->units.end(), [&](const auto& a, const auto& b) {
        return w->scene->pieceById(a->unit)->openings() > w->scene->pieceById(b->unit)->openings();
    });
    if (w->job.stock)
        w->units.front()->left = leftOverInShort(*w->job.stock, w->job.scheme());
    loadFonts();
    return w;
}

class DressPen : public PaperPen {
public:
    DressPen(QPainter& p, double k, const DressWork& of) : PaperPen(p, k), of_(of) {
        clear(of.wide(), of.high());
    }

    /// The picture and as much of the list as goes under it; which row is next.
    std::size_t first(const DressPage& page) {
        const double w = of_.wide() - 2 * margin;
        const Piece& unit = *of_.scene->pieceById(page.unit);
        UnitView v;
        v.pen = 0.2 * k_;
        v.letter = 2.6 * k_;
        for (const DressPage::Row& row : page.rows)
            for (const DressedThing* t : row.things)
                v.numbers[t->id] = row.number;
        const double tall = of_.high() * 0.52;
        double y = margin;
        const bool openings = unit.openings() > 0;
        if (openings) {
            v.into = dev(QRectF(margin, y, w, tall));
            drawUnitFront(p_, paperLook(), *of_.scene, page.unit, v);
            y += tall + 5;
        } else {
            // A tabletop: from the front, and from above.
            // No larger than a fifth of what it is.
            const double wide = std::min(w, unit.size.width.mm() / 5);
            v.into = dev(QRectF(margin + (w - wide) / 2, y, wide, tall * 0.5));
            drawUnitFront(p_, paperLook(), *of_.scene, page.unit, v);
            y += tall * 0.5 + 3;
            for (const DressedSurface& s : page.surfaces)
                if (s.isTop()) {
                    v.into = dev(QRectF(margin + (w - wide) / 2, y, wide, tall * 0.45));
                    drawTopFromAbove(p_, paperLook(), *of_.scene, s, v);
                }
            y += tall * 0.45 + 4;
        }
        y += wrapped(margin, y, w, tr(dressCaution), 2.6, paperLook().soft) + 2;
        const std::size_t next = list(page, 0, y);
        foot(page, "");
        return next;
    }

    std::size_t more(const DressPage& page, std::size_t from) {
        const std::size_t next = list(page, from, margin);
        foot(page, " (list)");
        return next;
    }

    [[nodiscard]] static std::size_t rowsOf(const DressPage& page) {
        return page.rows.size() + page.wanted.size() + page.left.size();
    }

private:
    /// Two columns of rows: things, then what is wanted, then what goes back in the cupboard.
    std::size_t list(const DressPage& page, std::size_t from, double top) {
        const double w = of_.wide() - 2 * margin;
        const double end = of_.high() - margin - dressTitle - 4;
        const double column = (w - 6) / 2;
        const std::size_t things = page.rows.size();
        const std::size_t wanted = things + page.wanted.size();
        const std::size_t all = rowsOf(page);
        std::size_t at = from;
        for (int c = 0; c < 2 && at < all; ++c) {
            const double x = margin + c * (column + 6);
            double y = top;
            bool begun = false;
            while (at < all) {
                const bool head = !begun || at == things || at == wanted;
                if (y + dressRow + (head ? 10 : 0) > end)
                    break;
                if (head) {
                    y += begun ? 3 : 0;
                    y = heading(at < things   ? tr("Numbered")
                                : at < wanted ? tr("Still wanted")
                                              : tr("Back in the cupboard"),
                                x, y, column);
                    begun = true;
                }
                if (at < things)
                    thing(page, page.rows[at], x, y, column);
                else if (at < wanted)
                    want(page.wanted[at - things], x, y, column);
                else
                    text({x, y, column, dressRow}, Qt::AlignLeft | Qt::AlignVCenter,
                         q(page.left[at - wanted]), 2.6);
                y += dressRow;
                ++at;
            }
        }
        return at;
    }

    void swatch(double x, double y, Rgb c) {
        p_.setPen(QPen(paperLook().ink, 0.15 * k_));
        p_.setBrush(qcolor(c));
        p_.drawRect(dev(QRectF(x, y + 0.9, 2.6, 2.6)));
    }

    void thing(const DressPage& page, const DressPage::Row& row, double x, double y, double w) {
        const DressedThing& first = *row.things.front();
        const Piece& p = *of_.scene->pieceById(first.id);
        text({x, y, 6, dressRow}, Qt::AlignRight | Qt::AlignVCenter, QString::number(row.number),
             2.6, true);
        if (const auto c = colourOf(p))
            swatch(x + 7.4, y, *c);
        std::string where;
        for (const DressedSurface& s : page.surfaces)
            for (const DressedThing& t : s.things)
                if (&t == &first)
                    where = s.name();
        if (first.on != 0) {
            int under = 0;
            for (const DressPage::Row& other : page.rows)
                for (const DressedThing* t : other.things)
                    if (t->id == first.on)
                        under = other.number;
            where = fmt::format("on {}", under);
        }
        std::string name = p.name;
        if (row.things.size() > 1)
            name = fmt::format(
                "{} to {}{}", name,
                of_.scene->pieceById(row.things.back()->id)
                    ->name.substr(of_.scene->pieceById(row.things.back()->id)->name.rfind(' ') + 1),
                liesOf(p) == Lies::lying ? tr(", lying") : "");
        text({x + 11.5, y, w * 0.56 - 11.5, dressRow}, Qt::AlignLeft | Qt::AlignVCenter, q(name),
             2.6);
        text({x + w * 0.56, y, w * 0.44, dressRow}, Qt::AlignLeft | Qt::AlignVCenter,
             q(worded("{}, {} from the left", where, of_.length(first.at.x))), 2.4, true,
             QFont::Normal, paperLook().soft);
    }

    void want(const WantedThing& t, double x, double y, double w) {
        swatch(x + 1, y, t.colour);
        text({x + 5, y, w - 5, dressRow}, Qt::AlignLeft | Qt::AlignVCenter,
             q(worded("{}{}, {} to {} wide, {} to {} high, {}",
                      t.material.empty() ? "" : t.material + " ", t.kind,
                      of_.length(t.least.width.mm()), of_.length(t.most.width.mm()),
                      of_.length(t.least.height.mm()), of_.length(t.most.height.mm()),
                      words(t.where, of_.job.wording()))),
             2.4);
    }

    static std::size_t thingsOf(const DressPage& page) {
        std::size_t n = 0;
        for (const DressPage::Row& row : page.rows)
            n += row.things.size();
        return n;
    }

    void foot(const DressPage& page, const char* more) {
        const Piece& unit = *of_.scene->pieceById(page.unit);
        titleBlock(margin, of_.high() - margin - dressTitle, of_.wide() - 2 * margin, dressTitle,
                   jobFields(of_.job, q(unit.name + tr(", dressed") + more),
                             {tr("Things"), QString::number(thingsOf(page))}, of_.date));
    }

    const DressWork& of_;
};

Result<Sheet> dressingPages(const Project& job, const SheetOptions& o) {
    const auto work = dressWork(job, o);
    if (!work)
        return work.problem();
    const auto of = *work;
    Sheet sheet{{of->wide(), of->high(), job.title + tr(", dressed"), {}, {}},
                of->paper.name + " upright",
                tr("to fit")};
    QImage none(8, 8, QImage::Format_RGB32);
    QPainter scratch(&none);
    for (const auto& page : of->units) {
        sheet.paper.pages.emplace_back(
            [of, page](QPainter& p, double k) { DressPen(p, k, *of).first(*page); });
        std::size_t next = DressPen(scratch, 0.1, *of).first(*page);
        constexpr int mostPages = 40;
        for (int n = 0; n < mostPages && next < DressPen::rowsOf(*page); ++n) {
            if (o.onePage)
                break;
            sheet.paper.pages.emplace_back(
                [of, page, next](QPainter& p, double k) { DressPen(p, k, *of).more(*page, next); });
            const std::size_t after = DressPen(scratch, 0.1, *of).more(*page, next);
            if (after == next)
                break;
            next = after;
        }
        if (o.onePage)
            break;
    }
    return sheet;
}

Result<std::string> dressingTable(const Project& job, const SheetOptions& o) {
    const auto work = dressWork(job, o);
    if (!work)
        return work.problem();
    const auto of = *work;
    const Scheme& scheme = *of->scene->scheme;
    std::string out = "what,number,name,kind,colour,material,of,where,on,from_left,up\n";
    const auto length = [&](double mm) { return csvCell(of->length(mm)); };
    for (const auto& page : of->units)
        for (const DressPage::Row& row : page->rows)
            for (const DressedThing* t : row.things) {
                const Piece& p = *scheme.byId(t->id);
                std::string where;
                for (const DressedSurface& s : page->surfaces)
                    for (const DressedThing& one : s.things)
                        if (&one == t)
                            where = s.name();
                const auto c = colourOf(p);
                out += fmt::format("placed,{},{},{},{},{},{},{},{},{},{}\n", row.number,
                                   csvCell(p.name), csvCell(foldCase(p.kind->name)),
                                   c ? hexOf(*c) : "", csvCell(materialOf(p)),
                                   csvCell(scheme.byId(page->unit)->name), csvCell(where),
                                   t->on != 0 ? csvCell(scheme.byId(t->on)->name) : "",
                                   length(t->at.x), length(t->at.z));
            }
    for (const auto& page : of->units)
        for (const WantedThing& w : page->wanted)
            out += fmt::format("wanted,,,{},{},{},{},{},,,\n", w.kind, hexOf(w.colour),
                               csvCell(w.material), csvCell(scheme.byId(page->unit)->name),
                               csvCell(words(w.where, job.wording())));
    for (const auto& name : leftOver(job.stock ? *job.stock : Stock{}, scheme))
        out += fmt::format("left over,,{},,,,,,,,\n", csvCell(name));
    return out;
}

} // namespace

const SheetKind dressingSheet{
    .id = "dressing",
    .title = "Shelves as they are dressed",
    .about =
        "Each dressed unit from the front, every thing numbered, with its list: to put it back "
        "after cleaning, and to shop by.",
    .asks = {Asks::paper, Asks::piece},
    .pages = &dressingPages,
    .table = &dressingTable,
};

} // namespace mezzet::sheets
