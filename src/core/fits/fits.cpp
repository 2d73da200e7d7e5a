#include "fits/fits.h"

#include "edit/arrange.h"
#include "fits/regions.h"
#include "geometry/gap.h"
#include "geometry/polygon.h"
#include "judge/at_table.h"
#include "judge/floor_ways.h"
#include "judge/remedy.h"
#include "measure/text.h"
#include "room/facts.h"

#include <fmt/format.h>

#include <algorithm>
#include <array>
#include <cmath>
#include <set>

namespace mezzet {

namespace {

/// What stands on the floor of a scene, with how near a table's edge may come to it.
struct Around {
    Shape shape;
    double reach = 0; ///< mm a table's seating edge keeps from it
    Target what;
};

/// A job with pieces taken out, and its readings.
struct Base {
    ProjectPtr job;
    ScenePtr scene;
    std::vector<Reading> readings;
};

std::optional<Base> baseWithout(const Project& job, const std::vector<int>& ids) {
    Edit e;
    for (const int id : ids)
        e.acts.emplace_back(RemovePiece{id});
    auto after = apply(job, e);
    if (!after)
        return {};
    return Base{after->project, after->scene,
                judge(*after->scene, *job.library.book, job.judgement)};
}

/// What an edit upsets: readings worse than before, or new ones to mend.
std::vector<std::string> upsetBy(const Base& base, const Applied& after) {
    std::vector<std::string> out;
    const auto readings = judge(*after.scene, *base.job->library.book, base.job->judgement);
    const Wording say = after.project->wording();
    for (const Reading& now : readings) {
        // A new seat wants a surface beside it: that alone rules nothing out.
        if (!now.toMend() || now.rule->id == "surface-in-reach")
            continue;
        const auto old = std::find_if(base.readings.begin(), base.readings.end(),
                                      [&](const Reading& b) { return b.sameAs(now); });
        if (old == base.readings.end() || !old->toMend() ||
            std::abs(now.value.value - old->value.value) > 0.5)
            out.push_back(subjectOf(now, say) + ": " + whyOf(now, say));
    }
    return out;
}

double settingOf(const Project& job, const char* rule, const char* name) {
    const Rule* r = job.library.book->byId(rule);
    return r != nullptr ? r->number(name) : 0;
}

double lowOf(const Project& job, const char* rule, double otherwise) {
    const Rule* r = job.library.book->byId(rule);
    return r != nullptr ? job.judgement.bandOf(*r).low.value_or(otherwise) : otherwise;
}

std::vector<Around> aroundTable(const Project& job, const Scene& scene, Length tableHigh) {
    const double wall = lowOf(job, "dining-to-wall", 914.4);
    const double sit = lowOf(job, "chair-pull-out", 812.8);
    std::vector<Around> out;
    const Room& room = *scene.room;
    for (std::size_t i = 0; i < room.stretches(); ++i) {
        const Wall w = room.stretchAt(i);
        Target t;
        t.is = Target::Is::wall;
        t.index = room.edgeWall[i];
        out.push_back({stretch({w.start, w.end}), wall, t});
    }
    for (const Fixture& f : room.fixtures)
        if (f.takesFloor())
            out.push_back({solid(room, f), wall, targetOf(f)});
    for (const Opening& o : room.openings)
        if (const auto swing = doorSwing(room, o))
            out.push_back({*swing, sit, targetOf(o)});
    for (std::size_t i = 0; i < scene.placed.size(); ++i) {
        const Piece& p = scene.piece(i);
        if (p.kind->flat() || p.kind->standsOn)
            continue;
        Target t;
        t.is = Target::Is::piece;
        t.piece = p.id;
        out.push_back(
            {scene.placed[i].shape, p.size.height > tableHigh ? std::max(wall, sit) : sit, t});
    }
    return out;
}

/// How much more room there is than needed about a table: the least of gap less reach.
double spareAt(const Shape& table, const std::vector<Around>& around, double least) {
    double spare = 1e300;
    for (const Around& a : around) {
        if (norm(table.centre - a.shape.centre) - table.reach - a.shape.reach - a.reach >= spare)
            continue;
        spare = std::min(spare, gapBetween(table, a.shape).clear().mm() - a.reach);
        if (spare < least)
            return spare;
    }
    return spare;
}

struct Spot {
    Vec2 at;
    double spare = -1e300;
};

/// The place with most room about it for a shape: over a grid, then closing in by pattern search.
Spot bestSpot(const Shape& local, Angle turn, const TableAsked& asked, const Room& room,
              const std::vector<Around>& around, double enough) {
    Spot best;
    const auto look = [&](Vec2 at) {
        if (norm(at - asked.near) > asked.within.mm() || !room.holds(at))
            return;
        const double s = spareAt(placed(local, {at, turn}), around, best.spare);
        if (s > best.spare)
            best = {at, s};
    };
    const double step = asked.within.mm() / 4;
    for (int x = -4; x <= 4; ++x)
        for (int y = -4; y <= 4; ++y)
            look(asked.near + Vec2{x * step, y * step});
    for (double s = step / 2; s > 2 && best.spare < enough; s /= 2) {
        const Vec2 at = best.at;
        for (const Vec2 d : {Vec2{s, 0}, Vec2{-s, 0}, Vec2{0, s}, Vec2{0, -s}, Vec2{s, s},
                             Vec2{-s, s}, Vec2{s, -s}, Vec2{-s, -s}})
            look(at + d);
    }
    return best;
}

KindPtr tableKind(const Project& job, FootprintForm form, bool round) {
    for (const auto& k : job.library.kit->kinds())
        if (k->role == Role::diningTable && k->footprint.form == form &&
            (form != FootprintForm::oval || (abs(k->size.width - k->size.depth) <= quiet) == round))
            return k;
    return {};
}

KindPtr chairKind(const Project& job, int table) {
    for (const auto& p : job.scheme().pieces)
        if (p.kind->role == Role::diningChair &&
            std::any_of(p.ties.begin(), p.ties.end(),
                        [&](const Tie& t) { return t.refersTo(table); }))
            return p.kind;
    for (const auto& k : job.library.kit->kinds())
        if (k->role == Role::diningChair)
            return k;
    return {};
}

std::vector<int> tableAndChairs(const Project& job, const Scene& scene, int table) {
    std::vector<int> out;
    if (table == 0 || job.scheme().byId(table) == nullptr)
        return out;
    const Length at = Length::millimetres(settingOf(job, "chair-pull-out", "at table"));
    for (std::size_t i = 0; i < scene.placed.size(); ++i) {
        if (scene.piece(i).kind->role != Role::diningChair)
            continue;
        const auto of = tableOf(scene, i, at);
        if (of && scene.placed[*of].id == table)
            out.push_back(scene.placed[i].id);
    }
    out.push_back(table);
    return out;
}

/// The edit that takes the old table and chairs out and puts this one in with its chairs; empty
/// when it upsets something.
std::optional<FitChoice> tryTable(const Project& job, const Base& base,
                                  const std::vector<int>& gone, const KindPtr& kind,
                                  const KindPtr& chairs, Size size, Pose pose, Length each,
                                  bool strictly) {
    Piece table = pieceOf(kind);
    table.size = size;
    table.pose = pose;
    table.heights.top = size.height;
    const int seats = seatsBy(table, each);
    if (seats < 2)
        return {};
    const Piece* old = gone.empty() ? nullptr : job.scheme().byId(gone.back());
    table.name = old != nullptr ? old->name : job.scheme().freeName(kind->name);
    Tie turn;
    turn.kind = Tie::Kind::turned;
    turn.turn = pose.turn;
    Tie at;
    at.kind = Tie::Kind::at;
    at.distance = Length::millimetres(pose.at.x);
    at.second = Length::millimetres(pose.at.y);
    table.ties = {turn, at};
    Edit put;
    put.acts.emplace_back(PutPiece{table});
    auto placedTable = apply(*base.job, put);
    if (!placedTable)
        return {};
    const int id = placedTable->project->scheme().pieces.back().id;
    auto seat = seatTable(*placedTable->project, *placedTable->scene, id, seats, chairs);
    if (!seat)
        return {};
    Edit whole;
    for (const int g : gone)
        whole.acts.emplace_back(RemovePiece{g});
    whole.acts.insert(whole.acts.end(), put.acts.begin(), put.acts.end());
    whole.acts.insert(whole.acts.end(), seat->acts.begin(), seat->acts.end());
    auto after = apply(job, whole);
    if (!after)
        return {};
    const auto upsets = upsetBy(base, *after);
    if (strictly && !upsets.empty())
        return {};
    FitChoice c;
    c.detail = fmt::format("seats {}{}", seats, upsets.empty() ? "" : ", but " + upsets.front());
    c.seats = seats;
    c.size = size;
    c.pose = pose;
    c.form = kind->footprint.form;
    c.edit = std::move(whole);
    return c;
}

Length spokenDown(const Project& job, double mm) {
    const double unit = isMetric(job.notation.units) ? 50 : 25.4;
    return Length::millimetres(std::floor(mm / unit + 1e-6) * unit);
}

} // namespace

FitAnswer tablesThatFit(const Project& job, const TableAsked& asked, const GoesOn& goesOn) {
    FitAnswer out;
    out.heading = "The largest tables that keep every rule";
    const auto scene = sceneOf(job);
    if (!scene)
        return out;
    const auto gone = tableAndChairs(job, **scene, asked.replace);
    const auto base = baseWithout(job, gone);
    if (!base)
        return out;
    const Length each = Length::millimetres(lowOf(job, "diner-width", 609.6));
    const KindPtr chairs = chairKind(job, asked.replace);
    if (!chairs)
        return out;
    const Length high = Length::inches(30);
    const auto around = aroundTable(job, *base->scene, high);
    const auto stop = [&] {
        out.stopped = out.stopped || (goesOn && !goesOn());
        return out.stopped;
    };
    bool strictly = true;
    const Room& room = *base->scene->room;
    /// The largest of a family of sizes, by halving, then by full judgement with an inch less each
    /// time.
    const auto largest = [&](const KindPtr& kind, const std::vector<double>& turns, double least,
                             double most, auto sizeFor) -> std::optional<FitChoice> {
        if (!kind)
            return {};
        std::optional<FitChoice> best;
        for (const double turn : turns) {
            if (stop())
                break;
            const Angle angle = Angle::degrees(turn);
            double low = least;
            double top = most;
            const auto fits = [&](double w) -> std::optional<Spot> {
                const Size s = sizeFor(w);
                Piece p = pieceOf(kind);
                p.size = s;
                const auto spot = bestSpot(p.shape(), angle, asked, room, around, 1);
                return spot.spare >= 0 ? std::optional<Spot>(spot) : std::nullopt;
            };
            if (!fits(low))
                continue;
            for (int i = 0; i < 7 && top - low > 20; ++i) {
                const double mid = (low + top) / 2;
                (fits(mid) ? low : top) = mid;
            }
            double w = spokenDown(job, low).mm();
            for (int tries = 0; tries < 8 && w >= least && !stop();
                 ++tries, w -= isMetric(job.notation.units) ? 50 : 50.8) {
                if (best && best->size.width.mm() >= w)
                    break;
                const auto spot = fits(w);
                if (!spot)
                    continue;
                auto c = tryTable(job, *base, gone, kind, chairs, sizeFor(w), {spot->at, angle},
                                  each, strictly);
                if (!c)
                    continue;
                best = std::move(c);
                break;
            }
        }
        return best;
    };
    const auto mm = [](double v) { return Length::millimetres(v); };
    const bool metric = isMetric(job.notation.units);
    const auto say = [&](Length l) { return writeBare(l, job.notation); };
    // The room's own directions: that of wall A, and across.
    const double along = room.walls.empty() ? 0 : room.walls[0].direction().inDegrees();
    const std::vector<double> square{along, along + 90};
    std::optional<FitChoice> round;
    std::optional<FitChoice> rectangle;
    const auto lookForAll = [&] {
        round =
            largest(tableKind(job, FootprintForm::oval, true), {along}, 700, 2200, [&](double w) {
                return Size{mm(w), mm(w), high};
            });
        if (round) {
            round->title = fmt::format("Round, {} across", say(round->size.width));
            out.choices.push_back(*round);
        }
        auto oval =
            largest(tableKind(job, FootprintForm::oval, false), square, 1100, 3000, [&](double w) {
                return Size{mm(w), mm(std::min(w * 0.6, 1150.0)), high};
            });
        if (oval) {
            oval->title =
                fmt::format("Oval, {} x {}", say(oval->size.width), say(oval->size.depth));
            out.choices.push_back(*oval);
        }
        rectangle.reset();
        for (const double depth : metric ? std::vector<double>{1000, 900, 800}
                                         : std::vector<double>{1016, 914.4, 812.8}) {
            auto one = largest(tableKind(job, FootprintForm::rectangle, false), square, depth + 150,
                               3200, [&](double w) {
                                   return Size{mm(w), mm(depth), high};
                               });
            if (one &&
                (!rectangle || one->seats > rectangle->seats ||
                 (one->seats == rectangle->seats && one->size.width > rectangle->size.width)))
                rectangle = one;
        }
        if (rectangle) {
            rectangle->title = fmt::format("Rectangle, {} x {}", say(rectangle->size.width),
                                           say(rectangle->size.depth));
            out.choices.push_back(*rectangle);
        }
    };
    lookForAll();
    if (out.choices.empty() && !out.stopped) {
        // What has the room, though it upsets something else.
        strictly = false;
        lookForAll();
        if (!out.choices.empty()) {
            out.heading = "None keeps every rule; these have the room";
            out.reasons.push_back("Each upsets something else that may be worth mending first.");
        }
    }
    std::stable_sort(out.choices.begin(), out.choices.end(),
                     [](const FitChoice& a, const FitChoice& b) { return a.seats > b.seats; });
    out.yes = strictly && !out.choices.empty();
    if (out.choices.empty())
        out.reasons.push_back("No table people can sit in to has the room here.");
    else if (!rectangle && round)
        out.reasons.push_back(
            "No rectangle fits here, and a round one does: it gives up surface and "
            "gains flow.");
    for (FitChoice& c : out.choices)
        c.edit.words = "try " + c.title;
    return out;
}

FitAnswer sofasThatFit(const Project& job, int wall, const GoesOn& goesOn) {
    FitAnswer out;
    const auto scene = sceneOf(job);
    const auto kind = job.library.kit->byId("sofa");
    if (!scene || !kind || wall < 0 || wall >= static_cast<int>(job.room->walls.size()))
        return out;
    const Wall& w = job.room->walls[static_cast<std::size_t>(wall)];
    out.heading = fmt::format("The longest sofas on wall {}", w.name);
    const auto base = baseWithout(job, {});
    if (!base)
        return out;
    const Rule* scale = job.library.book->byId("scale");
    const double share = scale != nullptr ? job.judgement.bandOf(*scale).high.value_or(1) : 1;
    const bool metric = isMetric(job.notation.units);
    for (const double depth :
         metric ? std::vector<double>{1000, 900, 800} : std::vector<double>{965.2, 914.4, 838.2}) {
        if (goesOn && !goesOn()) {
            out.stopped = true;
            break;
        }
        // What stands in a strip along the wall as deep as the sofa.
        std::vector<std::pair<double, double>> taken;
        const auto block = [&](const Shape& s) {
            for (const Convex& c : s.all()) {
                std::array<Vec2, 4> strip{w.start, w.end, w.end + w.inward() * depth,
                                          w.start + w.inward() * depth};
                const Shape zone = convexPolygon(strip);
                if (gapBetween(zone.parts[0], c).depth <= Length::millimetres(0.01))
                    continue;
                const auto span = spanInStrip(c, w, depth);
                if (span)
                    taken.push_back(*span);
            }
        };
        for (std::size_t i = 0; i < (*scene)->placed.size(); ++i)
            if (!(*scene)->piece(i).kind->flat())
                block((*scene)->placed[i].shape);
        for (const Fixture& f : job.room->fixtures)
            if (f.takesFloor())
                block(solid(*job.room, f));
        for (const Opening& o : job.room->openings) {
            if (const auto swing = doorSwing(*job.room, o))
                block(*swing);
            if (isWayIn(o) && o.wall == wall)
                taken.emplace_back(o.left.mm(), (o.left + o.width).mm());
        }
        std::sort(taken.begin(), taken.end());
        double from = 0;
        std::pair<double, double> widest{0, 0};
        taken.emplace_back(w.length().mm(), w.length().mm());
        for (const auto& [a, b] : taken) {
            if (a - from > widest.second - widest.first)
                widest = {from, a};
            from = std::max(from, b);
        }
        double length = std::min(widest.second - widest.first, share * w.length().mm());
        for (int tries = 0; tries < 12 && length > 1200; ++tries, length -= metric ? 100 : 101.6) {
            Piece p = pieceOf(kind);
            p.size.width = spokenDown(job, length);
            p.size.depth = Length::millimetres(depth);
            p.name = job.scheme().freeName(kind->name);
            const double middle = (widest.first + widest.second) / 2;
            Tie against;
            against.kind = Tie::Kind::against;
            against.of.is = Target::Is::wall;
            against.of.index = wall;
            Tie centred;
            centred.kind = Tie::Kind::centredOn;
            centred.of = against.of;
            centred.distance = Length::millimetres(middle - w.length().mm() / 2);
            p.ties = {against, centred};
            p.pose.at = w.at(Length::millimetres(middle)) + w.inward() * depth / 2;
            FitChoice c;
            c.edit.acts.emplace_back(PutPiece{p});
            auto after = apply(job, c.edit);
            if (!after)
                break;
            if (!upsetBy(*base, *after).empty())
                continue;
            c.size = p.size;
            c.pose = after->scene->placed.back().pose;
            c.seats = seatsOf(p, Length::millimetres(settingOf(job, "seats-count", "each")),
                              Length::millimetres(settingOf(job, "seats-count", "arms")));
            c.title = fmt::format("{} x {}", writeBare(p.size.width, job.notation),
                                  writeBare(p.size.depth, job.notation));
            c.detail = fmt::format(
                "seats {}, {} of {} free", c.seats, writeGap(p.size.width, job.notation),
                writeGap(Length::millimetres(widest.second - widest.first), job.notation));
            c.edit.words = "try a sofa " + c.title;
            out.choices.push_back(std::move(c));
            break;
        }
    }
    out.yes = !out.choices.empty();
    if (out.choices.empty() && !out.stopped)
        out.reasons.push_back(fmt::format("No sofa of four feet or more stands on wall {} without "
                                          "upsetting something.",
                                          w.name));
    return out;
}

RugHold rugHold(const Scene& scene, const std::vector<int>& seats, const Shape& rug,
                Length frontDepth) {
    bool all = true;
    bool front = true;
    for (const int id : seats) {
        const Piece* p = scene.scheme->byId(id);
        const Placed* where = scene.byId(id);
        if (p == nullptr || where == nullptr)
            continue;
        const auto on = [&](double fromY) {
            const double w = p->size.width.mm() / 2;
            const double d = p->size.depth.mm() / 2;
            for (const Vec2 c : {Vec2{-w, fromY}, Vec2{w, fromY}, Vec2{w, d}, Vec2{-w, d}})
                if (!contains(rug, where->pose.toRoom(c)))
                    return false;
            return true;
        };
        all = all && on(-p->size.depth.mm() / 2);
        front = front && on(p->size.depth.mm() / 2 - frontDepth.mm());
    }
    return all ? RugHold::allLegs : front ? RugHold::frontLegs : RugHold::none;
}

FitAnswer rugsThatHold(const Project& job, const std::vector<int>& seats, const GoesOn& goesOn) {
    FitAnswer out;
    out.heading = "Rugs that hold the group";
    const auto scene = sceneOf(job);
    const auto kind = job.library.kit->byId("rug");
    if (!scene || !kind || seats.empty()) {
        out.reasons.push_back("Choose the seats it is to hold first.");
        return out;
    }
    // Usual finished sizes; trade notes.
    static const std::vector<std::pair<double, double>> feet{{5, 4},  {6, 4},  {8, 5},   {9, 6},
                                                             {10, 8}, {12, 9}, {14, 10}, {15, 12}};
    static const std::vector<std::pair<double, double>> metric{
        {170, 120}, {230, 160}, {300, 200}, {350, 250}, {400, 300}};
    const bool inMetric = isMetric(job.notation.units);
    Box box;
    const Pose frame = (*scene)->byId(seats.front())->pose;
    for (const int id : seats) {
        const Shape& s = (*scene)->byId(id)->shape;
        box.include(Vec2{-extent(s, -frame.right()), -extent(s, -frame.front())});
        box.include(Vec2{extent(s, frame.right()), extent(s, frame.front())});
    }
    const Vec2 middle = frame.right() * box.centre().x + frame.front() * box.centre().y;
    for (const auto& [l, d] : inMetric ? metric : feet) {
        if (goesOn && !goesOn()) {
            out.stopped = true;
            break;
        }
        const double k = inMetric ? 10 : 304.8;
        std::optional<FitChoice> best;
        RugHold bestHold = RugHold::none;
        for (const bool across : {true, false}) {
            const Length w = Length::millimetres((across ? l : d) * k);
            const Length deep = Length::millimetres((across ? d : l) * k);
            const Shape rug = placed(rectangle(w, deep), {middle, frame.turn});
            const auto hold = rugHold(**scene, seats, rug);
            if (hold == RugHold::none || (best && hold <= bestHold))
                continue;
            // It lies inside the walls.
            bool inside = true;
            for (const Vec2 c : outline(rug))
                inside = inside && insideOutline(job.room->edge, c);
            if (!inside)
                continue;
            FitChoice c;
            Piece p = pieceOf(kind);
            p.size.width = w;
            p.size.depth = deep;
            p.name = job.scheme().freeName(kind->name);
            p.pose = {middle, frame.turn};
            Tie under;
            under.kind = Tie::Kind::under;
            under.group = seats;
            Tie turn;
            turn.kind = Tie::Kind::inLineWith;
            turn.of.is = Target::Is::piece;
            turn.of.piece = seats.front();
            p.ties = {turn, under};
            c.edit.acts.emplace_back(PutPiece{p});
            if (!apply(job, c.edit))
                continue;
            c.size = p.size;
            c.pose = p.pose;
            c.title = inMetric ? fmt::format("{:.0f} x {:.0f} cm", l, d)
                               : fmt::format("{:.0f} x {:.0f} ft", l, d);
            c.detail = hold == RugHold::allLegs ? "all legs on" : "front legs on";
            c.edit.words = "try a rug " + c.title;
            best = std::move(c);
            bestHold = hold;
        }
        if (best)
            out.choices.push_back(std::move(*best));
    }
    out.yes = !out.choices.empty();
    if (out.choices.empty() && !out.stopped)
        out.reasons.push_back(
            "No usual size holds this group inside the walls; a larger one is cut "
            "from the roll.");
    return out;
}

FitAnswer whereItStands(const Project& job, const Piece& piece, const GoesOn& goesOn) {
    FitAnswer out;
    const auto scene = sceneOf(job);
    if (!scene)
        return out;
    out.heading = fmt::format("Where {} {} can stand", foldCase(piece.kind->name),
                              footprintWords(piece, job.notation));
    const Room& room = *job.room;
    // Square to each direction of the walls, each turn once.
    std::vector<double> turns;
    for (const Wall& w : room.walls) {
        const double t = w.direction().normalised().inDegrees();
        if (std::none_of(turns.begin(), turns.end(),
                         [&](double x) { return std::abs(std::remainder(x - t, 360.0)) < 0.5; }))
            turns.push_back(t);
    }
    double area = 0;
    for (const double t : turns) {
        if (goesOn && !goesOn()) {
            out.stopped = true;
            return out;
        }
        auto region = allowedRegion(**scene, piece, Angle::degrees(t));
        for (const auto& ring : region.outlines)
            area += std::abs(signedArea(ring));
        if (!region.outlines.empty())
            out.regions.push_back(std::move(region));
    }
    out.yes = !out.regions.empty();
    if (!out.yes)
        out.reasons.push_back("Nowhere: it would stand in something, or could not be used.");
    else
        out.reasons.push_back(
            fmt::format("Its middle may lie anywhere in the marked part, {} in all, "
                        "counting each turn of it.",
                        writeArea(area, job.notation.units)));
    return out;
}

FitAnswer doesItFit(const Project& job, const Piece& wanted, const GoesOn& goesOn) {
    FitAnswer out = whereItStands(job, wanted, goesOn);
    const auto base = baseWithout(job, {});
    if (!base || out.stopped)
        return out;
    const bool standsSomewhere = out.yes;
    // The best place: along the walls first, then in the open, whatever upsets least.
    std::vector<Pose> places;
    for (const AllowedRegion& r : out.regions)
        for (const auto& ring : r.outlines) {
            for (std::size_t i = 0; i < ring.size(); ++i) {
                const Vec2 a = ring[i];
                const Vec2 b = ring[(i + 1) % ring.size()];
                if (norm(b - a) > 100)
                    places.push_back({(a + b) / 2, r.turn});
            }
            places.push_back({centroid(ring), r.turn});
        }
    std::optional<FitChoice> best;
    double least = 1e300;
    std::vector<std::string> why;
    int tried = 0;
    for (const Pose& pose : places) {
        if (++tried > 40 || (goesOn && !goesOn()))
            break;
        Piece p = wanted;
        p.id = 0;
        p.pose = pose;
        p.name = job.scheme().freeName(p.kind->name);
        Tie turn;
        turn.kind = Tie::Kind::turned;
        turn.turn = pose.turn;
        p.ties = {turn};
        FitChoice c;
        c.edit.acts.emplace_back(PutPiece{p});
        auto after = apply(job, c.edit);
        if (!after)
            continue;
        const auto upsets = upsetBy(*base, *after);
        const double weight = weightOf(judge(*after->scene, *job.library.book, job.judgement));
        if (weight >= least)
            continue;
        least = weight;
        why = upsets;
        c.size = p.size;
        c.pose = pose;
        c.title = upsets.empty() ? "The best place for it" : "The least bad place for it";
        c.detail = upsets.empty() ? "it upsets nothing" : upsets.front();
        c.edit.words = "try " + p.name;
        best = std::move(c);
        if (upsets.empty())
            break;
    }
    out.reasons.clear();
    // In through a door.
    bool comesIn = false;
    bool anyDoor = false;
    for (const Opening& o : job.room->openings) {
        if (!isWayIn(o))
            continue;
        anyDoor = true;
        const auto through = throughDoor(job, o, wanted.size);
        comesIn = comesIn || through.fits;
        out.reasons.push_back(
            fmt::format("{} {}: {}.", through.fits ? "In by" : "Not by", o.name(), through.how));
    }
    if (!anyDoor)
        out.reasons.push_back("No door is taped, so how it comes in is not known.");
    for (const std::string& u : why)
        out.reasons.push_back(u);
    if (!standsSomewhere)
        out.reasons.push_back("There is nowhere to stand it.");
    out.yes = standsSomewhere && best && why.empty() && (comesIn || !anyDoor);
    out.heading = out.yes                       ? "Yes, it fits"
                  : standsSomewhere && !comesIn ? "No: it doesn't come in"
                  : standsSomewhere             ? "It stands, but upsets something"
                                                : "No";
    if (best)
        out.choices.push_back(std::move(*best));
    return out;
}

} // namespace mezzet
