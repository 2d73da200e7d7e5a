// What an electrician works from: the reflected ceiling plan, and the list of lights, circuits and
// scenes.
#include "kit/csv.h"
#include "light/lamps.h"
#include "measure/example.h"
#include "measure/text.h"
#include "measure/texts.h"
#include "room/facts.h"
#include "scheme/surfaces.h"
#include "sheets/drawing.h"
#include "sheets/paper_pen.h"
#include "sheets/plan_layout.h"
#include "sheets/sheet.h"
#include "sheets/tr.h"

#include <fmt/format.h>

#include <algorithm>
#include <cmath>
#include <set>

namespace mezzet::sheets {

namespace {

constexpr double lightTitle = 19;
constexpr const char* lightCaution =
    "Wiring, boxes and supports are for a licensed electrician, who also knows the local code. No "
    "joist is cut for a light. Find joists, pipes and cables before a hole is made.";

/// A light as the lists tell of it.
struct LightRow {
    int number = 0;
    const Piece* piece = nullptr;
    const Placed* where = nullptr; ///< null for what is not under the ceiling
    std::optional<Vec2> onPlan;    ///< of what hangs from the ceiling or on a wall, mm
    Shining is;
    std::string zone;
};

struct LightWork {
    Project job;
    ScenePtr scene;
    Layout layout;
    std::string date;
    std::vector<LightRow> rows; ///< those under the ceiling first

    [[nodiscard]] std::string length(Length l) const { return write(l, job.notation); }
};

std::vector<LightRow> rowsOf(const Project& job, const Scene& scene) {
    std::vector<LightRow> out;
    for (const bool above : {true, false})
        for (const Piece& p : scene.scheme->pieces) {
            if (!p.kind->light || p.on.isCeiling() != above)
                continue;
            const LightZone* zone = scene.scheme->light.zoneOf(p.id);
            const auto body = bodyOf(scene, p.id);
            LightRow row;
            row.number = static_cast<int>(out.size()) + 1;
            row.piece = &p;
            row.where = above ? scene.byId(p.id) : nullptr;
            if (body && (above || p.onWall()))
                row.onPlan = body->foot.plan();
            row.is = shiningOf(job, p);
            row.zone = zone != nullptr ? zone->name : std::string();
            out.push_back(std::move(row));
        }
    return out;
}

Result<std::shared_ptr<LightWork>> lightWork(const Project& job, const SheetOptions& o) {
    auto scene = sceneOf(job);
    if (!scene)
        return scene.problem();
    auto out = std::make_shared<LightWork>(LightWork{job, *scene, {}, dateOr(o.date), {}});
    out->rows = rowsOf(out->job, *out->scene);
    if (out->rows.empty())
        return Problem{
            "there are no lights yet",
            remedyIn("hang one first, like: recessed light at 3', 3'", job.notation.units)};
    auto layout = chooseLayout(job, o, static_cast<int>(out->rows.size()) + 4);
    if (!layout)
        return layout.problem();
    out->layout = *layout;
    loadFonts();
    return out;
}

/// What is over a height: the drop of a hung one, nothing for what is let in.
std::string dropWords(const LightWork& of, const LightRow& r) {
    if (r.where == nullptr)
        return "";
    const Length drop = dropOf(*r.piece, *r.where);
    return drop > Length{} ? of.length(drop) : std::string("flush");
}

class LightPen : public PaperPen {
public:
    LightPen(QPainter& p, double k, const LightWork& of) : PaperPen(p, k), of_(of) {
        clear(of.layout.width(), of.layout.height());
    }

    void ceilingPlan() {
        const Layout& l = of_.layout;
        const Room& room = *of_.scene->room;
        const double perMm = k_ / l.scale.denominator;
        const Box b = room.bounds();
        const QPointF middle = dev(l.drawing).center();
        Labels labels(dev(l.drawing));
        Drawing d{p_,     paperLook(), middle - QPointF(b.centre().x, b.centre().y) * perMm,
                  perMm,  k_ * 0.25,   of_.job.notation,
                  &labels};
        drawRoom(d, room);
        drawPieces(d, FloorView(*of_.scene), true);
        drawOverhead(d, room);
        joists(d, room);
        for (const LightRow& r : of_.rows)
            if (r.onPlan)
                light(d, r);
        switches(d, room);
        running(d, room);
        drawWallLetters(d, room, (aroundRoom - 3.6) * k_);
        labels.place();
        labels.draw(p_);
        if (!l.lists.isNull())
            list(l.lists);
        else
            caution(margin, of_.layout.height() - margin - lightTitle - 10,
                    of_.layout.width() - 2 * margin);
        title(tr("Reflected ceiling plan"), q(l.scale.words));
    }

    /// The list alone, where the plan needs its page whole.
    void listPage() {
        list({margin, margin, of_.layout.width() - 2 * margin,
              of_.layout.height() - 2 * margin - lightTitle - 4});
        title(tr("Reflected ceiling plan, its lights"), "");
    }

    /// The list of lights from a row on, then zones and scenes; says which row is next, or that
    /// nothing is left.
    std::size_t schedule(std::size_t from) {
        const double w = of_.layout.width() - 2 * margin;
        const double end = of_.layout.height() - margin - lightTitle - 6;
        double y = margin;
        if (from == 0)
            y += wrapped(margin, y, w, tr(lightCaution), 2.7, paperLook().soft) + 3;
        std::size_t i = from;
        if (i < of_.rows.size()) {
            y = heading(tr("Lights"), margin, y, w);
            header(y, w);
            y += rowHeight;
            for (; i < of_.rows.size() && y + rowHeight <= end; ++i, y += rowHeight)
                scheduleRow(of_.rows[i], y, w);
        }
        const std::size_t rest = of_.rows.size();
        const auto lines = planLines();
        if (i == rest)
            for (std::size_t n = i - rest + (from > rest ? from - rest : 0); n < lines.size();
                 ++n) {
                const double high =
                    lines[n].first.empty() ? heightOf(q(lines[n].second), w - 30, 2.9) : 0;
                if (y + std::max(high, rowHeight) + 8 > end) {
                    title(tr("Lights, circuits and scenes"), "");
                    return rest + n;
                }
                if (!lines[n].first.empty())
                    y = heading(q(lines[n].first), margin, y + 3, w);
                y +=
                    std::max(wrapped(margin, y, w, q(lines[n].second), 2.9), rowHeight - 0.6) + 0.8;
            }
        title(tr("Lights, circuits and scenes"), "");
        return i < rest ? i : rest + lines.size();
    }
    [[nodiscard]] std::size_t allOf() const { return of_.rows.size() + planLines().size(); }

private:
    void title(const QString& sheet, const QString& scale) {
        titleBlock(margin, of_.layout.height() - margin - lightTitle,
                   of_.layout.width() - 2 * margin, lightTitle,
                   jobFields(of_.job, sheet, {tr("Scale"), scale}, of_.date));
    }
    double caution(double x, double y, double w) {
        return wrapped(x, y, w, tr(lightCaution), 2.5, paperLook().soft);
    }

    /// A dot and its number: let in a circle with a cross, hung a ring of its own size.
    void light(const Drawing& d, const LightRow& r) {
        const QPointF at = d.at(*r.onPlan);
        if (r.where != nullptr)
            drawSwag(d, *r.piece, *r.where);
        const double own = std::max(r.piece->size.width, r.piece->size.depth).mm() / 2 * d.scale;
        p_.setPen(QPen(paperLook().ink, 0.3 * k_));
        p_.setBrush(paperLook().wash(Family::light));
        if (own > 0.8 * k_ && r.where != nullptr)
            p_.drawPolygon(d.polygon(outline(r.where->shape, Length::millimetres(2))));
        else
            p_.drawEllipse(at, 0.9 * k_, 0.9 * k_);
        if (r.piece->kind->light->cutOut > Length{}) {
            const double arm = std::max(own, 0.9 * k_) + 0.7 * k_;
            p_.drawLine(at - QPointF(arm, 0), at + QPointF(arm, 0));
            p_.drawLine(at - QPointF(0, arm), at + QPointF(0, arm));
        } else if (own > 1.5 * k_) {
            p_.setBrush(paperLook().ink);
            p_.drawEllipse(at, 0.4 * k_, 0.4 * k_);
        }
        const Words number{QString::number(r.number), lettering(2.5 * k_), paperLook().ink, 60};
        std::vector<QRectF> places;
        for (const double far : {2.2, 3.6, 5.0})
            for (const QPointF way :
                 {QPointF(1, -1), QPointF(1, 1), QPointF(-1, -1), QPointF(-1, 1)})
                places.push_back(
                    wordsAbout(at + way * (own * 0.75 + far * k_ * 0.8), number, d.pen));
        drawWords(d, std::move(places), number);
    }

    /// An S and its zone's letter at the opening side of each door that a zone is switched by.
    void switches(const Drawing& d, const Room& room) {
        constexpr double besideJamb = 150; // mm
        int z = 0;
        for (const LightZone& zone : of_.scene->scheme->light.zones) {
            const QChar letter(static_cast<char>('a' + z++ % 26));
            for (const Target& t : zone.switches)
                for (const Opening& o : room.openings) {
                    if (targetOf(o) != t)
                        continue;
                    const Wall& w = room.walls[static_cast<std::size_t>(o.wall)];
                    // Inside, on the side that opens; into the room a little.
                    const Length along = o.hingeRight
                                             ? o.left - Length::millimetres(besideJamb)
                                             : o.left + o.width + Length::millimetres(besideJamb);
                    const Vec2 at = w.at(along) + w.inward() * 120;
                    const Words sign{QString("S%1").arg(letter), lettering(2.7 * k_),
                                     paperLook().ink, 70};
                    std::vector<QRectF> places;
                    for (const double in : {0.0, 180.0, 360.0, 540.0})
                        places.push_back(wordsAbout(d.at(at + w.inward() * in), sign, d.pen));
                    drawWords(d, std::move(places), sign);
                }
        }
    }

    void joists(const Drawing& d, const Room& room) {
        if (!room.joists || room.joists->spacing <= Length{})
            return;
        p_.setPen(QPen(paperLook().soft, 0.15 * k_, Qt::DashDotLine));
        const double far = norm(room.bounds().size());
        for (Length away = room.joists->first; away.mm() < far; away = away + room.joists->spacing)
            for (const Segment& s : onFloor(room, lineAlong(room, room.joists->wall, away)))
                p_.drawLine(d.at(s.from), d.at(s.to));
    }

    /// From walls to the middles of lights: each figure is the difference of two whole ones, so
    /// that they add up.
    void running(const Drawing& d, const Room& room) {
        const Box b = room.bounds();
        const double wall = drawnWall.mm() * d.scale;
        std::vector<double> xs;
        std::vector<double> ys;
        for (const LightRow& r : of_.rows)
            if (r.where != nullptr) {
                xs.push_back(r.where->pose.at.x - b.low.x);
                ys.push_back(r.where->pose.at.y - b.low.y);
            }
        const Vec2 size = b.size();
        chain(
            d, stationsOf(std::move(xs), size.x),
            [&](double x) {
                return Vec2{b.low.x + x, b.low.y};
            },
            wall + 3.2 * k_, false);
        chain(
            d, stationsOf(std::move(ys), size.y),
            [&](double y) {
                return Vec2{b.low.x, b.low.y + y};
            },
            wall + 3.2 * k_, true);
        const auto say = [&](double mm) { return q(of_.length(Length::millimetres(mm))); };
        drawDimension(d, d.at(b.low), d.at({b.high.x, b.low.y}), wall + 10.9 * k_, say(size.x),
                      2.5 * k_);
        drawDimension(d, d.at({b.low.x, b.high.y}), d.at(b.low), wall + 10.9 * k_, say(size.y),
                      2.5 * k_);
    }
    /// Where lights stand along a side, each once, in order, with both ends.
    [[nodiscard]] static std::vector<double> stationsOf(std::vector<double> all, double end) {
        constexpr double same = 3; // mm
        all.push_back(0);
        all.push_back(end);
        std::sort(all.begin(), all.end());
        std::vector<double> out;
        for (const double x : all)
            if (out.empty() || x - out.back() > same)
                out.push_back(x);
        return out;
    }
    template <class At>
    void chain(const Drawing& d, const std::vector<double>& stations, At at, double away,
               bool upright) {
        const double step = division(of_.job.notation).mm();
        const auto whole = [step](double mm) { return std::round(mm / step) * step; };
        for (std::size_t i = 0; i + 1 < stations.size(); ++i) {
            const double from = stations[i];
            const double to = stations[i + 1];
            const auto figure = q(of_.length(Length::millimetres(whole(to) - whole(from))));
            if (upright)
                drawDimension(d, d.at(at(to)), d.at(at(from)), away, figure, 2.2 * k_);
            else
                drawDimension(d, d.at(at(from)), d.at(at(to)), away, figure, 2.2 * k_);
        }
    }

    void list(const QRectF& area) {
        double y = heading(tr("Lights"), area.left(), area.top(), area.width());
        text({area.left(), y, area.width(), rowHeight}, Qt::AlignLeft | Qt::AlignVCenter,
             tr("no., kind; from the ceiling to its lowest point"), 2.4, false, QFont::Normal,
             paperLook().soft);
        y += rowHeight;
        const double end = area.bottom() - 14;
        std::size_t shown = 0;
        const auto all = static_cast<std::size_t>(
            std::count_if(of_.rows.begin(), of_.rows.end(),
                          [](const LightRow& r) { return r.onPlan.has_value(); }));
        for (const LightRow& r : of_.rows) {
            if (y + rowHeight > end)
                break;
            if (!r.onPlan)
                continue;
            ++shown;
            text({area.left(), y, 7, rowHeight}, Qt::AlignRight | Qt::AlignVCenter,
                 QString::number(r.number), 2.6, true);
            text({area.left() + 9, y, area.width() - 31, rowHeight},
                 Qt::AlignLeft | Qt::AlignVCenter, q(r.piece->name), 2.7);
            text({area.right() - 22, y, 22, rowHeight}, Qt::AlignRight | Qt::AlignVCenter,
                 q(dropWords(of_, r)), 2.6, true);
            y += rowHeight;
        }
        if (shown < all)
            text({area.left(), y, area.width(), rowHeight}, Qt::AlignLeft | Qt::AlignVCenter,
                 tr("and %1 more: see the list of lights").arg(all - shown), 2.5, false,
                 QFont::Normal, paperLook().soft);
        caution(area.left(), area.bottom() - 12.5, area.width());
    }

    static constexpr double columns[] = {7, 62, 96, 110, 124, 142, 160};
    void header(double y, double w) {
        constexpr const char* names[] = {"name and kind", "size", "lm",  "W",
                                         "hole",          "drop", "zone"};
        for (std::size_t i = 0; i < std::size(names); ++i)
            text({margin + columns[i], y, columnWidth(i, w), rowHeight},
                 Qt::AlignLeft | Qt::AlignVCenter, tr(names[i]), 2.4, false, QFont::Normal,
                 paperLook().soft);
    }
    [[nodiscard]] static double columnWidth(std::size_t i, double w) {
        return (i + 1 < std::size(columns) ? columns[i + 1] : w) - columns[i] - 1.5;
    }
    void scheduleRow(const LightRow& r, double y, double w) {
        const LightSource& kind = *r.piece->kind->light;
        const std::string kindName = foldCase(r.piece->kind->name);
        const bool same = foldCase(r.piece->name).starts_with(kindName);
        const Size& s = r.piece->size;
        const bool round = r.piece->footprint.form == FootprintForm::oval && s.width == s.depth;
        const std::string cells[] = {same ? r.piece->name : r.piece->name + ", " + kindName,
                                     round ? worded("{} dia", of_.length(s.width))
                                           : of_.length(s.width) + " x " + of_.length(s.depth),
                                     fmt::format("{:.0f}", r.is.lumens),
                                     fmt::format("{:g}", std::round(r.is.watts * 10) / 10),
                                     kind.cutOut > Length{} ? of_.length(kind.cutOut) : "",
                                     dropWords(of_, r),
                                     r.zone};
        text({margin, y, 5.5, rowHeight}, Qt::AlignRight | Qt::AlignVCenter,
             QString::number(r.number), 2.6, true);
        for (std::size_t i = 0; i < std::size(cells); ++i)
            text({margin + columns[i], y, columnWidth(i, w), rowHeight},
                 Qt::AlignLeft | Qt::AlignVCenter, q(cells[i]), 2.7, i > 0 && i < 6);
        rule(margin, y + rowHeight - 0.4, margin + w, y + rowHeight - 0.4, 0.08);
    }

    /// What is told of zones, scenes and drops: headings, each with its first line.
    [[nodiscard]] std::vector<std::pair<std::string, std::string>> planLines() const {
        std::vector<std::pair<std::string, std::string>> out;
        const LightPlan& plan = of_.scene->scheme->light;
        std::string head = tr("Circuits and switches");
        double all = 0;
        for (const LightZone& z : plan.zones) {
            double watts = 0;
            std::vector<std::string> names;
            for (const LightRow& r : of_.rows)
                if (r.zone == z.name) {
                    watts += r.is.watts;
                    names.push_back(fmt::format("{} ({})", r.piece->name, r.number));
                }
            all += watts;
            std::vector<std::string> by;
            for (const Target& t : z.switches)
                by.push_back(words(t, of_.job.wording()));
            out.emplace_back(
                std::exchange(head, ""),
                fmt::format("{} (S{}): {}; {:g} W{}{}", z.name,
                            static_cast<char>('a' + (&z - plan.zones.data()) % 26),
                            names.empty() ? std::string(tr("no light yet")) : listed(names),
                            std::round(watts * 10) / 10, z.dims ? tr("; on a dimmer") : "",
                            by.empty() ? std::string(tr("; no switch told yet"))
                                       : worded("; switched {}by {}, on the opening side, {} to {} "
                                                "up where nothing else is required",
                                                by.size() > 1 ? tr("two ways, ") : "", listed(by),
                                                of_.length(Length::inches(40)),
                                                of_.length(Length::inches(48)))));
        }
        std::vector<std::string> alone;
        for (const LightRow& r : of_.rows)
            if (r.zone.empty())
                alone.push_back(fmt::format("{} ({})", r.piece->name, r.number));
        if (!alone.empty())
            out.emplace_back(std::exchange(head, ""), tr("On no zone yet: ") + listed(alone));
        head = tr("Scenes");
        for (const LightScene& s : plan.scenes) {
            std::vector<std::string> levels;
            for (const LightScene::Level& l : s.levels)
                levels.push_back(fmt::format("{} {:.0f} %", l.zone, l.part * 100));
            out.emplace_back(std::exchange(head, ""),
                             worded("{}: {}; the rest off", s.name,
                                    levels.empty() ? std::string("nothing") : listed(levels)));
        }
        head = tr("Hung lights: cord and drop");
        for (const LightRow& r : of_.rows) {
            if (r.where == nullptr || !r.piece->kind->light->hung)
                continue;
            const Length drop = dropOf(*r.piece, *r.where);
            const Length cord = cordOf(*r.piece, *r.where);
            const bool swagged = r.piece->light && r.piece->light->wire;
            out.emplace_back(
                std::exchange(head, ""),
                worded("{} ({}): lowest point {} from the ceiling, {} from the floor; {} of cord "
                       "or rod from the ceiling to its top, and what goes into the box{}{}",
                       r.piece->name, r.number, of_.length(drop),
                       of_.length(bottomOf(*of_.scene, *r.piece, *r.where)), of_.length(cord),
                       swagged ? worded("; its wire comes out {} away, and its cord is led to a "
                                        "hook over it, in a joist and rated for four times it",
                                        of_.length(Length::millimetres(
                                            norm(*r.piece->light->wire - r.where->pose.at))))
                               : std::string(),
                       r.piece->kind->light->kilograms > 4
                           ? worded("; about {:g} kg: a brace and a box rated for it",
                                    r.piece->kind->light->kilograms)
                           : std::string()));
        }
        return out;
    }

    const LightWork& of_;
};

Result<Sheet> ceilingPages(const Project& job, const SheetOptions& o) {
    const auto work = lightWork(job, o);
    if (!work)
        return work.problem();
    const auto of = *work;
    Sheet sheet{{of->layout.width(), of->layout.height(), job.title + tr(", ceiling"), {}, {}},
                of->layout.paper.name + (of->layout.across ? " across" : " upright"),
                of->layout.scale.words};
    sheet.paper.pages.emplace_back(
        [of](QPainter& p, double k) { LightPen(p, k, *of).ceilingPlan(); });
    if (of->layout.lists.isNull() && !o.onePage)
        sheet.paper.pages.emplace_back(
            [of](QPainter& p, double k) { LightPen(p, k, *of).listPage(); });
    return sheet;
}

Result<Sheet> lightingPages(const Project& job, const SheetOptions& o) {
    const auto work = lightWork(job, o);
    if (!work)
        return work.problem();
    const auto of = *work;
    of->layout.across = false;
    Sheet sheet{{of->layout.width(), of->layout.height(), job.title + tr(", lights"), {}, {}},
                of->layout.paper.name + " upright",
                ""};
    std::size_t from = 0;
    QImage none(8, 8, QImage::Format_RGB32);
    QPainter scratch(&none);
    constexpr std::size_t mostSchedulePages = 40;
    do {
        sheet.paper.pages.emplace_back(
            [of, from](QPainter& p, double k) { LightPen(p, k, *of).schedule(from); });
        LightPen trial(scratch, 1, *of);
        const std::size_t next = trial.schedule(from);
        if (next >= trial.allOf() || next == from || o.onePage)
            break;
        from = next;
    } while (sheet.paper.pages.size() < mostSchedulePages);
    return sheet;
}

Result<std::string> lightingTable(const Project& job, const SheetOptions&) {
    const auto scene = sceneOf(job);
    if (!scene)
        return scene.problem();
    std::string out = "number,name,kind,x,y,bottom,drop,cord,lumens,watts,hole,zone\n";
    const auto length = [&](Length l) { return csvCell(write(l, job.notation)); };
    for (const LightRow& r : rowsOf(job, **scene)) {
        const auto body = bodyOf(**scene, r.piece->id);
        out += fmt::format(
            "{},{},{},{},{},{},{},{},{:g},{:g},{},{}\n", r.number, csvCell(r.piece->name),
            csvCell(foldCase(r.piece->kind->name)),
            body ? length(Length::millimetres(body->foot.x)) : "",
            body ? length(Length::millimetres(body->foot.y)) : "",
            body ? length(Length::millimetres(body->foot.z)) : "",
            r.where != nullptr ? length(dropOf(*r.piece, *r.where)) : "",
            r.where != nullptr ? length(cordOf(*r.piece, *r.where)) : "",
            std::round(r.is.lumens * 10) / 10, std::round(r.is.watts * 10) / 10,
            r.piece->kind->light->cutOut > Length{} ? length(r.piece->kind->light->cutOut) : "",
            csvCell(r.zone));
    }
    return out;
}

} // namespace

const SheetKind ceilingSheet{
    .id = "ceiling",
    .title = "The ceiling",
    .about =
        "Every light over the floor to scale, from the walls to its middle: for an electrician.",
    .asks = {Asks::paper, Asks::scale},
    .pages = &ceilingPages,
    .onePageAsPicture = true,
    .note = "Wiring is for a licensed electrician; the local code decides.",
};

const SheetKind lightingSheet{
    .id = "lighting",
    .title = "Lights and circuits",
    .about = "Each light with its figures, what switches it, and how far it hangs.",
    .asks = {Asks::paper},
    .pages = &lightingPages,
    .table = &lightingTable,
    .note = "Wiring is for a licensed electrician; the local code decides.",
};

} // namespace mezzet::sheets
