// The elevation of a wall with its hooks, and the schedule of all hooks.
#include "hang/running.h"
#include "judge/on_walls.h"
#include "kit/csv.h"
#include "measure/text.h"
#include "measure/texts.h"
#include "sheets/drawing.h"
#include "sheets/paper_out.h"
#include "sheets/paper_pen.h"
#include "sheets/plan_layout.h"
#include "sheets/tr.h"
#include "sheets/wall_sheets.h"

#include <fmt/format.h>

#include <algorithm>
#include <cmath>
#include <fstream>
#include <functional>
#include <iterator>

namespace mezzet::sheets {

namespace {

constexpr double wallTitleHeight = 19;

constexpr const char* safety = // texts
    "Cables, pipes and studs: find them before you drill; a place outside the "
    "usual zones is no clearance. What is heavy, and what hangs over people, is "
    "for a fitter. Follow local codes."; // end of texts

/// One line of the schedule.
struct Row {
    int number = 0; ///< of the hook on its wall
    const HangOf* of = nullptr;
    const HookPoint* hook = nullptr;
    Length along;
    Length step; ///< from the hook before it on the wall, or from the left corner
};

/// Rows of a wall, from left to right, with places that add up.
std::vector<Row> rowsOf(const std::vector<HangOf>& all, int wall, Length division) {
    std::vector<Row> out;
    for (const HangOf& h : all)
        if (h.wall == wall)
            for (const HookPoint& k : h.hooks)
                out.push_back({0, &h, &k, {}, {}});
    std::stable_sort(out.begin(), out.end(), [](const Row& a, const Row& b) {
        return std::pair(a.hook->along, -a.hook->up.mm()) <
               std::pair(b.hook->along, -b.hook->up.mm());
    });
    std::vector<Length> places;
    for (const Row& r : out)
        places.push_back(r.hook->along);
    const Running run = running(places, division);
    for (std::size_t i = 0; i < out.size(); ++i) {
        out[i].number = static_cast<int>(i) + 1;
        out[i].along = run.at[i];
        out[i].step = run.step[i];
    }
    return out;
}

std::string mountName(const HangOf& h) {
    for (const auto& [m, name] : mountWords)
        if (m == h.mount)
            return name;
    return {};
}

/// What goes down the pages of a schedule, each whole.
struct Block {
    enum class Is { heading, row, note, small } is = Is::note;
    std::string says;
    Row row; ///< of Is::row
};

/// Blocks from `from` up to `to`.
struct Range {
    std::size_t from = 0;
    std::size_t to = 0;
};

/// What the pages of a schedule are painted from. It outlives the pages that are added.
struct Schedule {
    const Project& job;
    const WallsView scene;
    const std::vector<HangOf>& hangs;
    double width = 0; ///< of the paper, mm
    double height = 0;
    Length division;
    std::string date;

    /// A wall's schedule: its hooks, the corners of its groups for painter's tape, what to be
    /// careful of. Empty when nothing on it needs a hook and `always` is not asked.
    std::vector<Block> blocksOf(int wall, const std::string& heading, bool always) const {
        const auto rows = rowsOf(hangs, wall, division);
        if (rows.empty() && !always)
            return {};
        std::vector<Block> out{{Block::Is::heading, heading, {}}};
        for (const Row& r : rows)
            out.push_back({Block::Is::row, {}, r});
        if (rows.empty())
            out.push_back({Block::Is::note, tr("Nothing needs a hook here."), {}});
        if (std::any_of(rows.begin(), rows.end(), [](const Row& r) { return r.of->estimated; }))
            out.push_back(
                {Block::Is::small,
                 tr("* weight guessed from its size: weigh it. A hook is for what one hook "
                    "carries, four times over."),
                 {}});
        if (std::any_of(rows.begin(), rows.end(), [](const Row& r) { return r.of->dropAssumed; }))
            out.push_back({Block::Is::small,
                           worded("? drop assumed, and with it how far up the hook goes: {}.",
                                  measureTheDrop),
                           {}});
        if (std::any_of(rows.begin(), rows.end(), [](const Row& r) { return r.of->loadGuessed; }))
            out.push_back({Block::Is::small,
                           tr("What a shelf holds was not said, and is guessed from its length."),
                           {}});
        const auto at = [&](double v) {
            return hookWords(Length::millimetres(v), job.notation, division);
        };
        for (std::size_t i = 0; i < scene.hung.size(); ++i) {
            const Piece& g = scene.hungPiece(i);
            if (!g.isGroup() || g.wall() != wall)
                continue;
            const Box b = bounds(scene.hung[i].shape);
            out.push_back({Block::Is::note,
                           worded("Tape corners of {}: from {} to {} from the left corner, {} "
                                  "to {} up.",
                                  g.name, at(b.low.x), at(b.high.x), at(b.low.y), at(b.high.y)),
                           {}});
        }
        for (const HangOf& h : hangs)
            if (h.wall == wall)
                for (const auto& c : h.cautions)
                    out.push_back(
                        {Block::Is::note, scene.scheme->byId(h.piece)->name + ": " + c, {}});
        return out;
    }
};

class WallPainter : public PaperPen {
public:
    WallPainter(QPainter& p, double unitsPerMm, const Schedule& of)
        : PaperPen(p, unitsPerMm), of_(of) {}

    /// The elevation over its schedule.
    void wall(int wall, const Scale& scale, const QRectF& drawing, const std::vector<Block>& blocks,
              Range range, const QString& sheet) {
        clear(of_.width, of_.height);
        const Room& room = *of_.scene.room;
        const Wall& w = room.walls[static_cast<std::size_t>(wall)];
        const double perMm = k_ / scale.denominator;
        const double length = w.length().mm() * perMm;
        const double high = room.ceiling.mm() * perMm;
        const QRectF area = dev(drawing);
        const QPointF origin(area.center().x() - length / 2, area.center().y() + high / 2);
        Labels labels(dev(QRectF(margin / 2, margin / 2, of_.width - margin,
                                 drawing.bottom() + 2.5 - margin / 2)));
        const Drawing d{p_, paperLook(), origin, perMm, k_ * 0.25, of_.job.notation, &labels};
        drawElevation(d, of_.scene, wall, of_.job.pictures.get());
        std::vector<HangOf> own;
        for (const HangOf& h : of_.hangs)
            if (h.wall == wall)
                own.push_back(h);
        drawHooks(d, own);
        const auto rows = rowsOf(of_.hangs, wall, of_.division);
        dimensions(d, w, rows);
        tapeCorners(d, wall);
        labels.place();
        labels.draw(p_);
        list(blocks, range, drawing.bottom() + 3);
        foot(sheet, q(scale.words));
    }

    /// A page of a schedule.
    void page(const std::vector<Block>& blocks, Range range, const QString& sheet) {
        clear(of_.width, of_.height);
        list(blocks, range, margin);
        foot(sheet, tr("none: a schedule"));
    }

    /// How many of the blocks from `from` on have room from `y` down; at least one. The heading of
    /// a wall stays with its first hook.
    [[nodiscard]] std::size_t fitting(const std::vector<Block>& blocks, std::size_t from,
                                      double y) const {
        const double bottom = of_.height - margin - wallTitleHeight - 4;
        if (from > 0 && blocks[from].is != Block::Is::heading)
            y += headed;
        std::size_t to = from;
        for (; to < blocks.size(); ++to) {
            const double h = heightOf(blocks, to, to == from);
            const double after = blocks[to].is == Block::Is::heading ? 2 * rowHeight : 0;
            if (to > from && y + h + after > bottom)
                break;
            y += h;
        }
        return to;
    }

    /// All of the blocks one under another, mm.
    [[nodiscard]] double heightOf(const std::vector<Block>& blocks) const {
        double all = 0;
        for (std::size_t i = 0; i < blocks.size(); ++i)
            all += heightOf(blocks, i, i == 0);
        return all;
    }

private:
    static constexpr double headed = 6.4 + rowHeight; ///< a heading and the names of the columns
    static constexpr double noteLetters = 2.5;

    /// How far down the page a block takes what follows, mm.
    [[nodiscard]] double heightOf(const std::vector<Block>& blocks, std::size_t i,
                                  bool first) const {
        const Block& b = blocks[i];
        const bool afterRow = i > 0 && blocks[i - 1].is == Block::Is::row;
        switch (b.is) {
        case Block::Is::heading:
            return headed + (first ? 0 : 4);
        case Block::Is::row:
            return rowHeight;
        case Block::Is::small:
            return 4.2 + (afterRow ? 0.8 : 0);
        case Block::Is::note:
            break;
        }
        return PaperPen::heightOf(q(b.says), of_.width - 2 * margin, noteLetters) + 0.7 +
               (afterRow ? 1.6 : 0);
    }

    void list(const std::vector<Block>& blocks, Range range, double y) {
        const double w = of_.width - 2 * margin;
        if (range.from > 0 && blocks[range.from].is != Block::Is::heading) {
            std::size_t at = range.from;
            while (at > 0 && blocks[at].is != Block::Is::heading)
                --at;
            y = columnNames(heading(q(blocks[at].says) + tr(", continued"), margin, y, w));
        }
        for (std::size_t i = range.from; i < range.to; ++i) {
            const Block& b = blocks[i];
            const double h = heightOf(blocks, i, i == range.from);
            const bool afterRow = i > 0 && blocks[i - 1].is == Block::Is::row;
            switch (b.is) {
            case Block::Is::heading:
                columnNames(heading(q(b.says), margin, y + h - headed, w));
                break;
            case Block::Is::row:
                scheduleRow(b.row, y);
                break;
            case Block::Is::small:
                text({margin, y + (afterRow ? 0.8 : 0), w, 3.4}, Qt::AlignLeft | Qt::AlignVCenter,
                     q(b.says), 2.2, false, QFont::Normal, paperLook().soft);
                break;
            case Block::Is::note:
                wrapped(margin, y + (afterRow ? 1.6 : 0), w, q(b.says), noteLetters);
                break;
            }
            y += h;
        }
    }

    /// Hooks along the top, running from the left corner; heights up the right side.
    void dimensions(const Drawing& d, const Wall& w, const std::vector<Row>& rows) {
        const double high = of_.scene.room->ceiling.mm();
        const double letter = 2.3 * k_;
        const auto top = [&](double s) { return d.at({s, -high}); };
        const auto say = [&](Length l) { return q(hookWords(l, of_.job.notation, of_.division)); };
        Length from;
        for (const Row& r : rows) {
            if (r.along - from > Length::millimetres(1))
                drawDimension(d, top(from.mm()), top(r.along.mm()), 4 * k_, say(r.along - from),
                              letter);
            from = r.along;
        }
        if (!rows.empty() && w.length() - from > Length::millimetres(1))
            drawDimension(d, top(from.mm()), top(w.length().mm()), 4 * k_, say(w.length() - from),
                          letter);
        // Figures too wide for their step stand over the line; the whole goes over them.
        double over = 9.5 * k_;
        from = {};
        const auto wide = [&](Length step) {
            return QFontMetricsF(lettering(letter)).horizontalAdvance(say(step)) + letter * 0.7 >
                   step.mm() * d.scale;
        };
        int narrow = 0;
        for (const Row& r : rows) {
            if (r.along - from > Length::millimetres(1))
                narrow = std::max(narrow, wide(r.along - from) ? 1 : 0);
            from = r.along;
        }
        over += narrow * letter * 1.2;
        drawDimension(d, top(0), top(w.length().mm()), over,
                      q(hookWords(w.length(), of_.job.notation, of_.division)), letter);
        std::vector<Length> heights;
        for (const Row& r : rows) {
            const Length up = roundedTo(r.hook->up, of_.division);
            if (std::find(heights.begin(), heights.end(), up) == heights.end())
                heights.push_back(up);
        }
        std::sort(heights.begin(), heights.end());
        const double x = w.length().mm();
        const double room = of_.width - margin - d.at({x, 0}).x() / k_ - 2;
        double away = 5;
        for (const Length up : heights) {
            if (away > room)
                break;
            drawDimension(d, d.at({x, -up.mm()}), d.at({x, 0}), away * k_, say(up), letter);
            away += 5.2;
        }
        // Numbers of the hooks, as in the schedule.
        for (const Row& r : rows)
            drawHookNumber(d, r.hook->along, r.hook->up, r.number);
    }

    /// Where painter's tape marks the corners of each group's outline.
    void tapeCorners(const Drawing& d, int wall) {
        p_.setPen(QPen(paperLook().loose, 0.5 * k_));
        for (std::size_t i = 0; i < of_.scene.hung.size(); ++i) {
            const Piece& g = of_.scene.hungPiece(i);
            if (!g.isGroup() || g.wall() != wall)
                continue;
            const Box b = bounds(of_.scene.hung[i].shape);
            const double arm = 3 * k_;
            for (const double sx : {-1.0, 1.0})
                for (const double sy : {-1.0, 1.0}) {
                    const QPointF c =
                        d.at({sx < 0 ? b.low.x : b.high.x, -(sy < 0 ? b.low.y : b.high.y)});
                    p_.drawLine(c, c - QPointF(sx * arm, 0));
                    p_.drawLine(c, c + QPointF(0, sy * arm));
                }
        }
    }

    struct Column {
        QString name;
        double share;
        bool figures;
    };
    static const std::vector<Column>& columns() {
        static const std::vector<Column> all{{"", 0.03, true},
                                             {tr("Piece"), 0.2, false},
                                             {tr("Size"), 0.09, true},
                                             {tr("From left"), 0.11, true},
                                             {tr("Step"), 0.1, true},
                                             {tr("Up"), 0.1, true},
                                             {tr("From ceiling"), 0.1, true},
                                             {tr("Into"), 0.09, false},
                                             {tr("Drop"), 0.06, true},
                                             {tr("Weighs"), 0.06, true},
                                             {tr("Hook for"), 0.06, true}};
        return all;
    }
    /// Gives back where what follows begins.
    double columnNames(double y) {
        std::vector<QString> names;
        for (const Column& c : columns())
            names.push_back(c.name);
        cells(names, y, 2.3, false, paperLook().soft);
        return y + rowHeight;
    }
    void scheduleRow(const Row& r, double y) {
        const Piece& p = *of_.scene.scheme->byId(r.of->piece);
        const auto say = [&](Length l) { return q(hookWords(l, of_.job.notation, of_.division)); };
        cells({QString::number(r.number), q(p.name), q(footprintWords(p, of_.job.notation)),
               say(r.along), r.number == 1 ? QString() : "+ " + say(r.step), say(r.hook->up),
               say(r.hook->fromCeiling), q(fixingWords(*r.hook, of_.job.notation)),
               say(r.of->drop) + (r.of->dropAssumed ? QString("?") : QString()),
               q(write(r.hook->carries, of_.job.notation)) + (r.of->estimated ? "*" : ""),
               q(write(r.hook->rated, of_.job.notation))},
              y, 2.6, true, paperLook().ink);
    }
    /// A line of the table; `drawn`: figures in the hand of drawings.
    void cells(const std::vector<QString>& words, double y, double letters, bool drawn,
               const QColor& colour) {
        const double w = of_.width - 2 * margin;
        double x = margin;
        for (std::size_t i = 0; i < words.size(); ++i) {
            const Column& c = columns()[i];
            const double in = c.figures ? 0 : 2.5;
            text({x + in, y, c.share * w - (c.figures ? 1 : in), rowHeight},
                 (c.figures ? Qt::AlignRight : Qt::AlignLeft) | Qt::AlignVCenter, words[i], letters,
                 drawn && c.figures, QFont::Normal, colour);
            x += c.share * w;
        }
    }

    void foot(const QString& sheet, const QString& scale) {
        const double y = of_.height - margin - wallTitleHeight;
        titleBlock(margin, y, of_.width - 2 * margin, wallTitleHeight,
                   {{tr("Job"), q(of_.job.title)},
                    {tr("Sheet"), sheet},
                    {tr("Scale"), scale},
                    {of_.job.client.empty() ? tr("Room") : tr("Client, room"),
                     q(of_.job.client.empty() ? of_.scene.room->name
                                              : of_.job.client + ", " + of_.scene.room->name)},
                    {tr("Scheme"), q(of_.scene.scheme->name)},
                    {tr("Date"), q(of_.date)}});
        text({margin, of_.height - margin + 0.8, of_.width - 2 * margin, 3}, Qt::AlignLeft,
             tr(safety), 2.1, false, QFont::Normal, paperLook().soft);
    }

    const Schedule& of_;
};

/// What comes of asking a painter that paints nothing.
template <class Ask> auto measured(const Schedule& of, Ask ask) {
    QImage none(8, 8, QImage::Format_RGB32);
    QPainter scratch(&none);
    return ask(WallPainter(scratch, 12, of));
}

/// All that the pages of a schedule show; they keep it.
struct Shown {
    Shown(const Project& p, ScenePtr s, const SheetOptions& o)
        : job(p), scene(std::move(s)), hangs(hangAll(*scene, hookRules(*job.library.book))),
          paper(o.paper.value_or(*paperNamed(isMetric(job.notation.units) ? "a4" : "letter"))),
          schedule{job,
                   *scene,
                   hangs,
                   paper.height.mm(), // across
                   paper.width.mm(),
                   o.division.value_or(hookDivision(job.notation)),
                   dateOr(o.date)} {}
    Shown(const Shown&) = delete;

    Project job;
    ScenePtr scene;
    std::vector<HangOf> hangs;
    Paper paper;
    Schedule schedule;
    std::vector<Block> blocks;
};

/// Pages until every block has its place; `first`, when given, paints the first of them, whose list
/// begins at `y` mm.
Sheet pagesOf(const std::shared_ptr<const Shown>& of, const QString& sheet, double y,
              const std::string& title, const std::string& scale,
              const std::function<void(WallPainter&, Range, const QString&)>& first) {
    Sheet out{{of->schedule.width, of->schedule.height, title, {}, {}},
              of->paper.name + " across",
              scale};
    std::vector<Range> ranges;
    for (Range r; r.from < of->blocks.size(); r.from = r.to) {
        r.to = measured(of->schedule, [&](const WallPainter& p) {
            return p.fitting(of->blocks, r.from, ranges.empty() ? y : margin);
        });
        ranges.push_back(r);
    }
    for (std::size_t i = 0; i < ranges.size(); ++i) {
        const QString name = ranges.size() == 1
                                 ? sheet
                                 : tr("%1, page %2 of %3").arg(sheet).arg(i + 1).arg(ranges.size());
        out.paper.pages.emplace_back(
            [of, name, r = ranges[i], own = i == 0 ? first : nullptr](QPainter& p, double k) {
                WallPainter painter(p, k, of->schedule);
                if (own)
                    own(painter, r, name);
                else
                    painter.page(of->blocks, r, name);
            });
    }
    return out;
}

Result<Sheet> wallPages(const Project& job, const SheetOptions& options) {
    const int wall = options.wall.value_or(-1);
    if (wall < 0 || wall >= static_cast<int>(job.room->walls.size()))
        return Problem{"there is no such wall", "name one of the room's walls"};
    auto scene = sceneOf(job);
    if (!scene)
        return scene.problem();
    loadFonts();
    const auto of = std::make_shared<Shown>(job, *scene, options);
    const Wall& w = job.room->walls[static_cast<std::size_t>(wall)];
    const double width = of->schedule.width;
    const double height = of->schedule.height;
    of->blocks = of->schedule.blocksOf(
        wall, tr("Hooks on wall ") + w.name + tr(", from the left corner and the floor"), true);
    const double lists = std::clamp(
        3 + measured(of->schedule, [&](const WallPainter& p) { return p.heightOf(of->blocks); }),
        34.0, height * 0.46);
    const QRectF drawing(margin + 8, margin + 14, width - 2 * margin - 8 - 32,
                         height - 2 * margin - wallTitleHeight - lists - 18);
    const auto fits = [&](const Scale& s) {
        return w.length().mm() / s.denominator <= drawing.width() &&
               job.room->ceiling.mm() / s.denominator <= drawing.height();
    };
    std::optional<Scale> scale;
    std::vector<Scale> tried = usualScales(isMetric(job.notation.units));
    if (options.scale)
        tried = {*options.scale};
    for (const Scale& s : tried)
        if (!scale && fits(s))
            scale = s;
    if (!scale)
        return Problem{worded("wall {} does not fit {} at {}", w.name, of->paper.name,
                              options.scale ? options.scale->words : tr("any usual scale")),
                       tr("take larger paper or a smaller scale")};
    // The painter is handed what the page keeps.
    const auto& blocks = of->blocks;
    return pagesOf(of, tr("Wall ") + q(w.name), drawing.bottom() + 3,
                   job.title + tr(", wall ") + w.name, scale->words,
                   [wall, scale = *scale, drawing, &blocks](WallPainter& p, Range range,
                                                            const QString& sheet) {
                       p.wall(wall, scale, drawing, blocks, range, sheet);
                   });
}

} // namespace

const SheetKind wallSheet{
    .id = "wall",
    .title = "A wall",
    .about = "One wall from inside to scale: openings, furniture before it, what hangs there, and "
             "its hooks.",
    .asks = {Asks::paper, Asks::scale, Asks::wall},
    .pages = &wallPages,
};

std::string hooksAsCsv(const Project& job, const Scene& scene, Length division) {
    const bool metric = isMetric(job.notation.units);
    const char* unit = metric ? "mm" : "in";
    const char* mass = metric ? "kg" : "lb";
    std::string out =
        fmt::format("wall,number,piece,group,hook,mount,from_left_{0},step_{0},"
                    "up_{0},from_ceiling_{0},from_right_{0},into,from_stud_{0},"
                    "drop_{0},carries_{1},rated_{1},weight_guessed,zone,drop_assumed\r\n",
                    unit, mass);
    const auto length = [&](Length l) {
        const double v = metric ? l.mm() : l.inInches();
        return fmt::format("{:g}", std::round(v * 1e4) / 1e4);
    };
    const auto weight = [&](Mass m) { return fmt::format("{:.1f}", metric ? m.kg() : m.lb()); };
    const auto hangs = hangAll(scene, hookRules(*job.library.book));
    for (std::size_t wall = 0; wall < scene.room->walls.size(); ++wall)
        for (const Row& r : rowsOf(hangs, static_cast<int>(wall), division)) {
            const Piece& p = *scene.scheme->byId(r.of->piece);
            const Piece* group = scene.scheme->byId(p.group());
            const auto at = [&](Length l) { return length(roundedTo(l, division)); };
            out += fmt::format(
                "{},{},{},{},{},{},{},{},{},{},{},{},{},{},{},{},{},{},{}\r\n",
                scene.room->walls[wall].name, r.number, csvCell(p.name),
                group != nullptr ? csvCell(group->name) : std::string(),
                r.hook - r.of->hooks.data() + 1, mountName(*r.of), length(r.along), length(r.step),
                at(r.hook->up), at(r.hook->fromCeiling), at(r.hook->fromRight),
                r.hook->into == Fixing::stud ? "stud" : "plug",
                r.hook->fromStud ? length(*r.hook->fromStud) : std::string(), at(r.of->drop),
                weight(r.hook->carries), weight(r.hook->rated), r.of->estimated ? "yes" : "no",
                csvCell(r.hook->zone), r.of->dropAssumed ? "yes" : "no");
        }
    return out;
}

namespace {

Result<Sheet> hookPages(const Project& job, const SheetOptions& options) {
    auto scene = sceneOf(job);
    if (!scene)
        return scene.problem();
    loadFonts();
    const auto of = std::make_shared<Shown>(job, *scene, options);
    const auto& walls = (*scene)->room->walls;
    for (std::size_t i = 0; i < walls.size(); ++i) {
        auto own = of->schedule.blocksOf(static_cast<int>(i), tr("Wall ") + walls[i].name, false);
        std::move(own.begin(), own.end(), std::back_inserter(of->blocks));
    }
    if (of->blocks.empty())
        of->blocks.push_back({Block::Is::note, tr("Nothing in this room needs a hook."), {}});
    return pagesOf(of, tr("Hooks"), margin, job.title + tr(", hooks"), "schedule", {});
}

Result<std::string> hookTable(const Project& job, const SheetOptions& options) {
    auto scene = sceneOf(job);
    if (!scene)
        return scene.problem();
    return hooksAsCsv(job, **scene, options.division.value_or(hookDivision(job.notation)));
}

} // namespace

const SheetKind hooksSheet{
    .id = "hooks",
    .title = "The hooks",
    .about = "Every hook, wall by wall, with weights, fixings, tape corners of groups and what to "
             "be careful of.",
    .asks = Asks::paper,
    .pages = &hookPages,
    .table = &hookTable,
};

} // namespace mezzet::sheets
