// What the decorator, the client and the trades keep by them: the list, the order of work, the
// sheet for marking the floor with tape, and how it was really built.
#include "handover/shelf_boards.h"
#include "handover/tape_out.h"
#include "handover/tasks.h"
#include "kit/csv.h"
#include "measure/example.h"
#include "measure/text.h"
#include "measure/texts.h"
#include "sheets/handover_draw.h"
#include "sheets/paper_pen.h"
#include "sheets/picture_in.h"
#include "sheets/plan_layout.h"
#include "sheets/table_pages.h"
#include "sheets/tr.h"
#include "site/built.h"
#include "things/stock.h"

#include <algorithm>

namespace mezzet::sheets {

namespace {

// ---- the list ----

TableRow headingRow(std::string words) {
    TableRow r;
    r.is = TableRow::Is::heading;
    r.cells = {std::move(words)};
    return r;
}

TableRow wordsRow(std::string words) {
    TableRow r;
    r.is = TableRow::Is::words;
    r.cells = {std::move(words)};
    return r;
}

std::string sizeText(const ListItem& i, const Notation& n) {
    std::string out;
    for (const auto& side : i.size)
        if (side)
            out += (out.empty() ? "" : " x ") + writeGap(*side, n);
    return out;
}

/// What is known by a picture, at the head of the first page: as many as have room in a row, each
/// with its name.
void pictureStrip(const Project& job, const std::vector<ListItem>& items, TablePages& t) {
    struct Shown {
        Picture picture;
        QString name;
    };
    constexpr std::size_t most = 6;
    std::vector<Shown> shown;
    for (const ListItem& i : items) {
        const bool known = job.pictures && job.pictures->count(i.picture) > 0;
        if (known && shown.size() < most)
            shown.push_back({job.pictures->at(i.picture), QString::fromStdString(i.name)});
    }
    if (shown.empty())
        return;
    t.drawing = 0.16;
    t.draw = [shown = std::move(shown)](QPainter& p, double k, const QRectF& mm) {
        const double wide = mm.width() / most;
        constexpr double lettered = 5; // mm, of the name under it
        QFont font = sans(9);
        for (std::size_t n = 0; n < shown.size(); ++n) {
            const QRectF cell((mm.left() + static_cast<double>(n) * wide) * k, mm.top() * k,
                              (wide - 2) * k, (mm.height() - 2) * k);
            const QImage& image = imageOf(shown[n].picture);
            const QSizeF room(cell.width(), cell.height() - lettered * k);
            const QSizeF size = QSizeF(image.size()).scaled(room, Qt::KeepAspectRatio);
            if (!image.isNull())
                p.drawImage(QRectF(cell.topLeft(), size), image);
            font.setPixelSize(std::max(1, static_cast<int>(3 * k)));
            p.setFont(font);
            p.setPen(Qt::black);
            const QRectF under(cell.left(), cell.bottom() - lettered * k, cell.width(),
                               lettered * k);
            p.drawText(under, Qt::AlignLeft | Qt::AlignVCenter,
                       p.fontMetrics().elidedText(shown[n].name, Qt::ElideRight,
                                                  static_cast<int>(under.width())));
        }
    };
}

Result<Sheet> listPages(const Project& job, const SheetOptions& o) {
    auto items = jobList(job);
    if (items.empty())
        return Problem{std::string(told("there is nothing on the list yet")),
                       std::string(told("place something, or say: list cushion, 4 of them"))};
    TablePages t;
    t.sheet = std::string(told("List"));
    const bool costs = o.mends; // what is for a client has none
    t.columns = {{"", 3.2, false},         {tr("State"), 1.2, false}, {tr("Size"), 2.4, false},
                 {tr("From"), 1.8, false}, {tr("Comes"), 1.3, false}, {tr("How many"), 0.9, true}};
    if (costs) {
        t.columns.push_back({tr("Each"), 1.0, true});
        t.columns.push_back({tr("In all"), 1.1, true});
    }
    const ListTotals totals = totalsOf(items);
    pictureStrip(job, items, t);
    std::stable_sort(items.begin(), items.end(), [](const ListItem& a, const ListItem& b) {
        return std::pair(a.room.empty(), a.room) < std::pair(b.room.empty(), b.room);
    });
    std::string room = "\n";
    for (const ListItem& i : items) {
        if (i.room != room) {
            room = i.room;
            t.rows.push_back(
                headingRow(room.empty() ? std::string(told("For the whole job")) : room));
        }
        TableRow r;
        r.tick = true;
        r.cells = {i.name,
                   std::string(told(itemStateName(i.state))),
                   sizeText(i, job.notation),
                   i.supplier,
                   i.due        ? shortDayWords(*i.due)
                   : i.leadDays ? worded("{} days", *i.leadDays)
                                : std::string(),
                   std::to_string(i.quantity)};
        if (costs) {
            r.cells.push_back(i.price ? moneyText(*i.price) : "");
            r.cells.push_back(i.price && isPaid(i.state) ? moneyText(i.cost()) : "");
        }
        t.rows.push_back(std::move(r));
        if (!i.note.empty())
            t.rows.push_back(wordsRow(i.note));
    }
    if (costs) {
        t.rows.push_back(headingRow(std::string(told("In all"))));
        const auto sum = [&](std::string what, double v) {
            TableRow r;
            r.cells = {std::move(what), "", "", "", "", "", "", moneyText(v)};
            return r;
        };
        for (const auto& [state, v] : totals.byState)
            if (v > 0)
                t.rows.push_back(sum(std::string(told(itemStateName(state))), v));
        TableRow all = sum(std::string(told("total, of what is kept")), totals.all);
        all.strong = true;
        t.rows.push_back(std::move(all));
        if (handedOver(job).budget) {
            t.rows.push_back(sum(std::string(told("budget")), *handedOver(job).budget));
            const double left = *handedOver(job).budget - totals.all;
            t.rows.push_back(sum(std::string(left >= 0 ? told("left") : told("over the budget")),
                                 std::abs(left)));
        }
        if (totals.unpriced > 0)
            t.rows.push_back(wordsRow(worded("{} have no price yet.", totals.unpriced)));
    }
    return tableSheet(job, o, std::move(t));
}

Result<std::string> listTable(const Project& job, const SheetOptions&) {
    return listAsCsv(jobList(job));
}

// ---- the order of work ----

Result<Sheet> orderPages(const Project& job, const SheetOptions& o) {
    auto made = jobSchedule(job, {}, today());
    if (!made)
        return made.problem();
    const auto s = std::make_shared<const JobSchedule>(std::move(*made));
    const auto calendar = std::make_shared<const WorkCalendar>(handedOver(job).calendar);
    TablePages t;
    t.sheet = std::string(told("Order of work"));
    t.across = true;
    t.drawing = 0.76;
    t.draw = [s, calendar](QPainter& p, double k, const QRectF& mm) {
        drawOrderOfWork(p, k, mm, *s, *calendar);
    };
    t.caution = std::string(told(
        "Full bars are on the longest chain: when one of them slips, all is done later. A thin "
        "line is how far a task may slip, dots are drying or delivery. Hours are estimates by "
        "common practice."));
    t.columns = {{tr("Task"), 2.2, false},       {tr("By"), 1.4, false},
                 {tr("Begins"), 1.3, false},     {tr("Ends"), 1.3, false},
                 {tr("Hours"), 0.7, true},       {tr("May slip"), 0.9, true},
                 {tr("Waits after"), 1.0, true}, {tr("After"), 3.4, false}};
    for (const std::size_t i : inOrderOfDays(*s)) {
        const JobTask& task = s->tasks[i];
        const TimedTask& at = s->times[i];
        TableRow r;
        r.tick = true;
        r.strong = at.critical;
        r.cells = {task.task.name,
                   task.task.trade,
                   shortDayWords(at.start),
                   shortDayWords(at.end),
                   fmt::format("{:g}", task.task.hours),
                   at.critical ? std::string(told("no")) : worded("{} days", at.slackDays),
                   task.task.waitDays > 0 ? worded("{} days", task.task.waitDays) : std::string(),
                   task.afterNames.empty() ? std::string() : listed(task.afterNames)};
        t.rows.push_back(std::move(r));
        std::string more = task.note;
        if (!task.atHand.empty())
            more += (more.empty() ? "" : " ") + worded("At hand: {}.", listed(task.atHand));
        for (const std::string& c : task.cautions)
            more += (more.empty() ? "" : " ") + c;
        if (!more.empty())
            t.rows.push_back(wordsRow(std::move(more)));
    }
    return tableSheet(job, o, std::move(t));
}

Result<std::string> orderTable(const Project& job, const SheetOptions&) {
    const auto s = jobSchedule(job, {}, today());
    if (!s)
        return s.problem();
    return tasksAsCsv(*s);
}

// ---- tape-out ----

struct TapeWork {
    Project job;
    ScenePtr scene;
    TapeOut tape;
};

std::string tapeFromWords(const TapeFrom& f, const Notation& n) {
    return worded("{} from {}", write(f.length, n), f.mark);
}

Result<std::shared_ptr<TapeWork>> tapeWork(const Project& job) {
    auto scene = sceneOf(job);
    if (!scene)
        return scene.problem();
    auto w = std::make_shared<TapeWork>(TapeWork{job, *scene, tapeOut(**scene, job.notation)});
    if (w->tape.steps.empty())
        return Problem{std::string(told("nothing stands on the floor yet")),
                       std::string(told("place something first, like: sofa against wall A"))};
    return w;
}

Result<Sheet> tapePages(const Project& job, const SheetOptions& o) {
    auto made = tapeWork(job);
    if (!made)
        return made.problem();
    const std::shared_ptr<const TapeWork> w = *made;
    std::vector<int> order;
    TablePages t;
    t.sheet = std::string(told("Tape-out"));
    t.drawing = 0.48;
    t.caution = std::string(
        told("Low-tack tape, in this order: no length goes over a piece that is marked. Two people "
             "hold the tape; square to a wall is where it is shortest. Tick each point off, and "
             "measure a side of each piece before you go on."));
    t.columns = {{tr("Point"), 1.5, false}, {"", 2.6, false}, {"and", 2.6, false}};
    for (const TapeStep& s : w->tape.steps) {
        if (order.empty() || order.back() != s.piece) {
            order.push_back(s.piece);
            const Piece& p = *w->scene->pieceById(s.piece);
            t.rows.push_back(headingRow(worded("{}  {}, {} x {}", order.size(), s.name,
                                               writeGap(p.size.width, job.notation),
                                               writeGap(p.size.depth, job.notation))));
        }
        TableRow r;
        r.tick = true;
        r.cells = {s.corner, tapeFromWords(s.from[0], job.notation),
                   tapeFromWords(s.from[1], job.notation) +
                       (s.overMarked ? std::string(told(" (over what is marked)")) : "")};
        t.rows.push_back(std::move(r));
    }
    if (!w->tape.heights.empty())
        t.rows.push_back(headingRow(std::string(told("Heights to mark on the walls"))));
    for (const TapeHeight& h : w->tape.heights) {
        TableRow r;
        r.tick = true;
        r.cells = {
            worded("wall {}", w->scene->room->walls.at(static_cast<std::size_t>(h.wall)).name),
            h.what,
            worded("{} up, {} from its left", write(h.up, job.notation),
                   write(h.along, job.notation))};
        t.rows.push_back(std::move(r));
    }
    t.fields = {{tr("Tape"), write(w->tape.tape, job.notation)}};
    t.draw = [w](QPainter& p, double k, const QRectF& mm) {
        drawTapePlan(p, k, mm, *w->scene, w->job.notation, w->tape);
    };
    return tableSheet(job, o, std::move(t));
}

Result<std::string> tapeTable(const Project& job, const SheetOptions&) {
    const auto made = tapeWork(job);
    if (!made)
        return made.problem();
    const TapeWork& w = **made;
    std::string out = "piece,point,first,from,second,from\n";
    for (const TapeStep& s : w.tape.steps)
        out += fmt::format("{},{},{},{},{},{}\n", csvCell(s.name), csvCell(s.corner),
                           csvCell(write(s.from[0].length, job.notation)), csvCell(s.from[0].mark),
                           csvCell(write(s.from[1].length, job.notation)), csvCell(s.from[1].mark));
    return out;
}

// ---- boards ----

Result<Sheet> boardsPages(const Project& job, const SheetOptions& o) {
    const auto scene = sceneOf(job);
    if (!scene)
        return scene.problem();
    const auto boards = shelfBoards(**scene, *job.library.book);
    if (boards.empty())
        return Problem{
            std::string(told("no shelf of this scheme is cut of boards")),
            remedyIn("hang one, like: floating shelf 48 x 10 on wall A", job.notation.units)};
    const auto lots = boardLots(boards, job.notation);
    TablePages t;
    t.sheet = std::string(told("Cutting list"));
    t.caution = std::string(
        told("Measure the wall again before you cut. Holes are from a board's left end; those on "
             "studs go by the studs that were measured. Screws, glue and what holds a load are for "
             "a joiner; fix tall units to the wall."));
    t.columns = {{"", 2.4, false},
                 {tr("Long"), 1.0, true},
                 {tr("Wide"), 0.9, true},
                 {tr("Thick"), 0.8, true},
                 {tr("Of"), 1.2, false},
                 {tr("Weighs"), 0.9, true},
                 {tr("Finished"), 1.6, false},
                 {tr("Pilot holes"), 2.4, false}};
    const auto len = [&](Length l) { return writeGap(l, job.notation); };
    for (const ShelfBoard& b : boards) {
        TableRow r;
        r.tick = true;
        std::string holes;
        for (const Length l : b.pilots)
            holes += (holes.empty() ? "" : ", ") + len(l);
        if (!holes.empty() && b.intoStuds)
            holes += std::string(told(" (studs)"));
        r.cells = {b.name,
                   len(b.length),
                   len(b.width),
                   len(b.thickness),
                   b.material + (b.assumed ? std::string(told(" (assumed)")) : std::string()),
                   write(b.weight, job.notation),
                   listed(b.edges),
                   holes};
        t.rows.push_back(std::move(r));
    }
    for (const BoardLot& l : lots) {
        t.rows.push_back(headingRow(worded("{} {} thick: {} of {} x {}, kerf {}", l.material,
                                           len(l.thickness), l.plan.sheets.size(),
                                           len(l.stock.along), len(l.stock.across), len(l.kerf))));
        for (std::size_t n = 0; n < l.plan.sheets.size(); ++n) {
            std::string cuts;
            for (const BoardCut& c : l.plan.sheets[n])
                cuts += (cuts.empty() ? "" : "; ") +
                        worded("{} at {}", boards[l.boards[c.board]].name, len(c.along));
            t.rows.push_back(wordsRow(worded("{}: {}", n + 1, cuts)));
        }
        t.rows.push_back(wordsRow(worded("{:.0f} % waste", l.plan.waste * 100)));
    }
    return tableSheet(job, o, std::move(t));
}

Result<std::string> boardsTable(const Project& job, const SheetOptions&) {
    const auto scene = sceneOf(job);
    if (!scene)
        return scene.problem();
    std::string out = "name,length_mm,width_mm,thickness_mm,material,weight_kg\n";
    for (const ShelfBoard& b : shelfBoards(**scene, *job.library.book))
        out += fmt::format("{},{:.1f},{:.1f},{:.1f},{},{:.2f}\n", csvCell(b.name), b.length.mm(),
                           b.width.mm(), b.thickness.mm(), csvCell(b.material), b.weight.kg());
    return out;
}

// ---- as built ----

Result<Sheet> builtPages(const Project& job, const SheetOptions& o) {
    if (handedOver(job).built.empty())
        return Problem{
            std::string(told("nothing was measured yet of what was built")),
            remedyIn("say what was, like: hook of harbour 58 1/4 up", job.notation.units)};
    const auto scene = sceneOf(job);
    if (!scene)
        return scene.problem();
    TablePages t;
    t.sheet = std::string(told("As built"));
    t.caution = std::string(told("What was measured once it was done, against what is planned now. "
                                 "It matters where a reading has another verdict with it."));
    t.columns = {{"", 2.2, false},
                 {tr("What"), 1.6, false},
                 {tr("Planned"), 1.2, true},
                 {tr("Built"), 1.2, true},
                 {tr("Off"), 1.0, true},
                 {tr("Matters"), 0.9, false},
                 {tr("Measured"), 1.4, false}};
    for (const BuiltMark& m : handedOver(job).built) {
        if (foldCase(m.room) != foldCase(job.room->name))
            continue;
        const auto check = checkBuilt(job, **scene, m);
        TableRow r;
        if (!check) {
            r.cells = {m.piece, "", "", write(m.built, job.notation), "", "", dayWords(m.day)};
            t.rows.push_back(std::move(r));
            t.rows.push_back(wordsRow(check.problem().sentence()));
            continue;
        }
        const Length off = m.built - check->mark.planned;
        r.cells = {m.piece,
                   check->what,
                   write(check->mark.planned, job.notation),
                   write(m.built, job.notation),
                   check->agrees ? std::string(told("as planned"))
                                 : (off > Length{} ? "+" : "-") + write(abs(off), job.notation),
                   check->agrees ? std::string()
                                 : std::string(check->matters ? told("yes") : told("no")),
                   dayWords(m.day)};
        r.strong = check->matters && !check->agrees;
        t.rows.push_back(std::move(r));
        if (check->matters && !check->agrees)
            t.rows.push_back(wordsRow(check->why));
    }
    return tableSheet(job, o, std::move(t));
}

} // namespace

const SheetKind listSheet{
    "list",
    "The list",
    "For you and the client: what is had and bought, from whom, and what it comes to.",
    {Asks::paper, Asks::mends},
    listPages,
    listTable};

const SheetKind orderSheet{"order",
                           "The order of work",
                           "For whoever runs the work: every task with its days, who does it, "
                           "and what must be at hand.",
                           {Asks::paper},
                           orderPages,
                           orderTable};

const SheetKind tapeOutSheet{
    "tape-out",
    "Tape-out",
    "For marking the floor with tape before anything comes: two lengths to every corner.",
    {Asks::paper},
    tapePages,
    tapeTable};

const SheetKind boardsSheet{
    "boards",
    "Cutting list",
    "For a joiner: the boards of shelves, ledges and units, and how they are cut of stock.",
    {Asks::paper},
    boardsPages,
    boardsTable};

const SheetKind asBuiltSheet{"as-built",
                             "As built",
                             "For the next time: what was measured once it was done.",
                             {Asks::paper},
                             builtPages};

} // namespace mezzet::sheets
