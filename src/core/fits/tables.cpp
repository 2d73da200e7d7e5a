// The largest tables about a place that keep every rule.
#include "edit/arrange.h"
#include "fits/trying.h"
#include "geometry/gap.h"
#include "judge/at_table.h"
#include "judge/floor_ways.h"
#include "judge/guard.h"
#include "measure/texts.h"

#include <algorithm>
#include <cmath>

namespace mezzet {

namespace {

/// What stands on the floor of a scene, with how near a table's edge may come to it.
struct Around {
    Shape shape;
    double reach = 0; ///< mm a table's seating edge keeps from it
};

std::vector<Around> aroundTable(const Project& job, const FloorView& scene, Length tableHigh) {
    const double wall = lowOf(job, "dining-to-wall", 914.4);
    const double sit = lowOf(job, "chair-pull-out", 812.8);
    std::vector<Around> out;
    const Room& room = *scene.room;
    for (std::size_t i = 0; i < room.stretches(); ++i) {
        const Wall w = room.stretchAt(i);
        out.push_back({stretch({w.start, w.end}), wall});
    }
    for (const Fixture& f : room.fixtures)
        if (f.takesFloor())
            out.push_back({solid(room, f), wall});
    for (const Opening& o : room.openings)
        if (const auto swing = doorSwing(room, o))
            out.push_back({*swing, sit});
    for (std::size_t i = 0; i < scene.placed.size(); ++i) {
        const Piece& p = scene.piece(i);
        if (p.kind->takesFloor())
            out.push_back(
                {scene.placed[i].shape, p.size.height > tableHigh ? std::max(wall, sit) : sit});
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

std::vector<int> tableAndChairs(const Project& job, const FloorView& scene, int table) {
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
/// when it upsets something; when not `strictly`, only when it does harm (see judge/guard.h), and
/// more than what it would replace does `now`.
std::optional<FitChoice> tryTable(const Project& job, const Base& base,
                                  const std::vector<int>& gone, const KindPtr& kind,
                                  const KindPtr& chairs, Size size, Pose pose, Length each,
                                  bool strictly, const Base* now) {
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
    const auto judged = judgedAfter(*after);
    const auto upsets = upsetBy(base, *after, judged);
    if (strictly && !upsets.empty())
        return {};
    if (harms(base.judged, judged) && (strictly || now == nullptr || harms(now->judged, judged)))
        return {};
    FitChoice c;
    c.detail = worded("seats {}{}", seats, upsets.empty() ? "" : ", but " + upsets.front());
    c.seats = seats;
    c.size = size;
    c.pose = pose;
    c.form = kind->footprint.form;
    c.edit = std::move(whole);
    return c;
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
    const Length each = elbowRoom(job);
    const KindPtr chairs = usualChair(job, asked.replace);
    if (!chairs)
        return out;
    const Length high = Length::inches(30);
    const auto around = aroundTable(job, *base->scene, high);
    const auto stop = [&] {
        out.stopped = out.stopped || (goesOn && !goesOn());
        return out.stopped;
    };
    bool strictly = true;
    // What stands there may shut a way already: another is no worse for that.
    const auto now = asked.replace != 0 ? baseWithout(job, {}) : std::nullopt;
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
            for (int i = 0; i < 12 && top - low > 2; ++i) {
                const double mid = (low + top) / 2;
                (fits(mid) ? low : top) = mid;
            }
            double w = spokenDown(job, low).mm();
            for (int tries = 0; tries < 12 && w >= least && !stop();
                 ++tries, w -= isMetric(job.notation.units) ? 50 : 25.4) {
                if (best && best->size.width.mm() >= w)
                    break;
                const auto spot = fits(w);
                if (!spot)
                    continue;
                auto c = tryTable(job, *base, gone, kind, chairs, sizeFor(w), {spot->at, angle},
                                  each, strictly, now ? &*now : nullptr);
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
            round->title = worded("Round, {} across", say(round->size.width));
            out.choices.push_back(*round);
        }
        auto oval =
            largest(tableKind(job, FootprintForm::oval, false), square, 1100, 3000, [&](double w) {
                return Size{mm(w), mm(std::min(w * 0.6, 1150.0)), high};
            });
        if (oval) {
            oval->title = worded("Oval, {} x {}", say(oval->size.width), say(oval->size.depth));
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
            rectangle->title = worded("Rectangle, {} x {}", say(rectangle->size.width),
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
    if (out.choices.empty()) {
        out.heading = "No table fits here";
        out.reasons.push_back("None that people can sit in to has the room without shutting a way "
                              "or meeting something. Ask about another place on the floor.");
    } else if (!rectangle && round)
        out.reasons.push_back(
            "No rectangle fits here, and a round one does: it gives up surface and "
            "gains flow.");
    for (FitChoice& c : out.choices)
        c.edit.words = worded("try {}", c.title);
    return out;
}

} // namespace mezzet
