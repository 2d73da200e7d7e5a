// Who talks to whom, at what height and with what in reach: conversation, seats-level,
// heights-level, surface-in-reach, seats-count, against-the-wall.
#include "judge/talk.h"

#include "edit/arrange.h"
#include "edit/place.h"
#include "geometry/gap.h"
#include "judge/at_table.h"
#include "judge/near.h"
#include "judge/rule_code.h"
#include "measure/text.h"

#include <fmt/format.h>

#include <algorithm>
#include <array>
#include <cmath>
#include <numeric>

namespace mezzet {

namespace {

/// Where people sit on a front edge: all of it but half a person at either end.
Shape sittingEdge(const Piece& p, const Pose& pose, Length halfPerson) {
    Segment e = frontEdge(p, pose);
    const Vec2 way = e.to - e.from;
    const double length = norm(way);
    const double in = std::min(halfPerson.mm(), length / 2);
    const Vec2 u = unit(way);
    return stretch({e.from + u * in, e.to - u * in});
}

bool looksAt(const Pose& a, Vec2 at, double cosine) {
    const Vec2 to = at - a.at;
    return norm(to) > 1 && dot(unit(to), a.front()) >= cosine;
}

std::vector<Talk> talksIn(const FloorView& scene, const Rule& rule) {
    std::vector<Talk> out;
    const double cosine = std::cos(Angle::degrees(rule.number("facing degrees")).inRadians());
    const Length look = rule.setting("look");
    const Length half = rule.setting("half a person");
    Near seats(scene, isLounge);
    for (std::size_t i = 0; i < scene.placed.size(); ++i) {
        if (!isLounge(scene.piece(i)))
            continue;
        for (const std::size_t k : seats.to(scene.placed[i].shape, look)) {
            if (k <= i)
                continue;
            const Pose& a = scene.placed[i].pose;
            const Pose& b = scene.placed[k].pose;
            if (!looksAt(a, frontMiddle(scene.piece(k), b), cosine) ||
                !looksAt(b, frontMiddle(scene.piece(i), a), cosine))
                continue;
            const Gap g = gapBetween(sittingEdge(scene.piece(i), a, half),
                                     sittingEdge(scene.piece(k), b, half));
            if (g.apart <= look)
                out.push_back({i, k, g.apart, g.onFirst, g.onSecond});
        }
    }
    return out;
}

void judgeTalk(const FloorContext& c) {
    for (const Talk& t : talksIn(c.scene, c.rule)) {
        Band band = c.band;
        // Corner to corner nobody sits knee to knee.
        if (dot(c.scene.placed[t.first].pose.front(), c.scene.placed[t.second].pose.front()) > -0.5)
            band.low.reset();
        c.add(c.scene.placed[t.second].id, pieceTarget(c.scene.placed[t.first].id),
              Amount::of(t.apart), band, t.onFirst, t.onSecond);
    }
}

const Rule& talkRule(const FloorContext& c) {
    const Rule* r = c.book.byId("conversation");
    return r != nullptr ? *r : c.rule;
}

void judgeHeightsLevel(const FloorContext& c) {
    for (const auto& group : groupsIn(c.scene, talksIn(c.scene, talkRule(c)))) {
        std::optional<std::size_t> low;
        std::optional<std::size_t> high;
        for (const std::size_t i : group) {
            const auto& seat = c.scene.piece(i).heights.seat;
            if (!seat)
                continue;
            if (!low || *seat < *c.scene.piece(*low).heights.seat)
                low = i;
            if (!high || *seat > *c.scene.piece(*high).heights.seat)
                high = i;
        }
        if (!low || low == high)
            continue;
        c.add(c.scene.placed[*high].id, pieceTarget(c.scene.placed[*low].id),
              Amount::of(*c.scene.piece(*high).heights.seat - *c.scene.piece(*low).heights.seat),
              c.scene.placed[*high].pose.at, c.scene.placed[*low].pose.at);
    }
}

std::vector<Handle> heightsLevelHandles(const Reading& r, double target, const Project& job,
                                        const Scene& scene) {
    const Piece& high = *job.scheme().byId(r.piece);
    const Piece& low = *job.scheme().byId(r.other.piece);
    const auto seat = [&](const Piece& p, double start, double slope) {
        return Handle{.edit =
                          [&job, &scene, id = p.id](double x) {
                              Piece q = asItStands(job, scene, id);
                              q.heights.seat = Length::millimetres(x);
                              return changePiece(job, std::move(q));
                          },
                      .line =
                          [&job, name = p.name](double x) {
                              return fmt::format("{} seat {}", name,
                                                 writeGap(Length::millimetres(x), job.notation));
                          },
                      .start = start,
                      .slope = slope};
    };
    return {seat(high, low.heights.seat->mm() + target, 1),
            seat(low, high.heights.seat->mm() - target, -1)};
}

/// The line a group makes: from the lowest to the highest top of its tables, arms and lamps.
void judgeHeights(const FloorContext& c) {
    for (const auto& group : groupsIn(c.scene, talksIn(c.scene, talkRule(c)))) {
        std::optional<std::pair<Length, std::size_t>> low;
        std::optional<std::pair<Length, std::size_t>> high;
        const auto offer = [&](Length h, std::size_t i) {
            if (!low || h < low->first)
                low = {h, i};
            if (!high || h > high->first)
                high = {h, i};
        };
        for (const std::size_t i : group)
            if (const auto& arm = c.scene.piece(i).heights.arm)
                offer(*arm, i);
        const Length near = c.rule.setting("near");
        for (std::size_t i = 0; i < c.scene.placed.size(); ++i) {
            const Role role = c.scene.piece(i).kind->role;
            if (role != Role::lowTable && role != Role::sideTable && role != Role::lamp)
                continue;
            if (std::any_of(group.begin(), group.end(), [&](std::size_t s) {
                    return !fartherThan(c.scene.placed[s].shape, c.scene.placed[i].shape, near) &&
                           gapBetween(c.scene.placed[s].shape, c.scene.placed[i].shape).apart <=
                               near;
                }))
                offer(role == Role::lamp ? c.scene.piece(i).size.height : c.scene.piece(i).top(),
                      i);
        }
        if (low && low->second != high->second)
            c.note(c.scene.placed[high->second].id, pieceTarget(c.scene.placed[low->second].id),
                   Amount::of(high->first - low->first), c.scene.placed[high->second].pose.at,
                   c.scene.placed[low->second].pose.at);
    }
}

/// A top one can set a glass on without getting up.
bool isSurface(const Piece& p, const Rule& rule) {
    if (p.kind->family == Family::rug || isLounge(p) || p.kind->role == Role::diningChair ||
        p.kind->role == Role::bed || !p.heights.top)
        return false;
    return *p.heights.top >= rule.setting("lowest top") &&
           *p.heights.top <= rule.setting("highest top");
}

/// Each place on a seat, as the part of its footprint one person takes.
std::vector<Shape> placesOn(const Piece& p, const Pose& pose, Length each, Length arms) {
    const int n = seatsOf(p, each, arms);
    if (p.kind->role != Role::sofa || n < 2 || p.footprint.form == FootprintForm::ell)
        return {placed(p.shape(), pose)};
    std::vector<Shape> out;
    const double w = p.size.width.mm();
    for (int i = 0; i < n; ++i) {
        const double x = -w / 2 + w * (i + 0.5) / n;
        out.push_back(placed(rectangle(Length::millimetres(w / n), p.size.depth),
                             {pose.toRoom({x, 0}), pose.turn}));
    }
    return out;
}

void judgeReach(const FloorContext& c) {
    const Length look = c.rule.setting("look");
    const Length each = c.shared.setting("seats-count", "each");
    const Length arms = c.shared.setting("seats-count", "arms");
    Near surfaces(c.scene, [&](const Piece& p) { return isSurface(p, c.rule); });
    for (std::size_t i = 0; i < c.scene.placed.size(); ++i) {
        const Piece& seat = c.scene.piece(i);
        if (!isLounge(seat))
            continue;
        std::optional<Gap> worst;
        int surface = 0;
        for (const Shape& place : placesOn(seat, c.scene.placed[i].pose, each, arms)) {
            std::optional<Gap> best;
            double nearest = 0;
            int of = 0;
            for (const std::size_t k : surfaces.to(place, look)) {
                if (k == i ||
                    fartherThan(place, c.scene.placed[k].shape, best ? best->apart : look))
                    continue;
                const Gap g = gapBetween(place, c.scene.placed[k].shape);
                // Nobody reaches behind the back.
                if (c.scene.placed[i].pose.toLocal(g.onSecond).y < -seat.size.depth.mm() / 2 + 1)
                    continue;
                // Of two that touch it, the one farther in, and then the one whose middle is
                // nearer.
                const double middle = norm(c.scene.placed[k].shape.centre - place.centre);
                if (!best ||
                    std::pair(g.clear().mm(), middle) < std::pair(best->clear().mm(), nearest)) {
                    best = g;
                    nearest = middle;
                    of = c.scene.placed[k].id;
                }
            }
            if (!best) { // nothing near at all
                worst = Gap{look, {}, place.centre, place.centre, {}};
                surface = 0;
                break;
            }
            if (!worst || best->apart > worst->apart) {
                worst = best;
                surface = of;
            }
        }
        if (!worst)
            continue;
        Reading& r = c.add(seat.id, {}, Amount::of(worst->apart), worst->onFirst, worst->onSecond);
        if (surface != 0)
            r.to = pieceTarget(surface);
        else
            r.instead = "none";
    }
}

/// A new small table beside a seat.
std::optional<Handle> tableBeside(const Project& job, const Scene& scene, const Piece& seat,
                                  Side side) {
    const KindPtr kind = job.library.kit->byId("round-side-table");
    if (!kind)
        return {};
    Piece p = pieceOf(kind);
    p.pose.at = scene.room->middle();
    p.name = job.scheme().freeName(kind->name);
    Placement where;
    Tie beside;
    beside.kind = Tie::Kind::fromPiece;
    beside.of = pieceTarget(seat.id);
    beside.side = side;
    beside.distance = job.library.book->habit("table-beside-seat");
    Tie centred;
    centred.kind = Tie::Kind::centredOn;
    centred.of = beside.of;
    centred.side = side;
    where.ties = {beside, centred};
    auto line = fmt::format("add {} {}, {}", foldCase(kind->name), words(beside, job.wording()),
                            words(centred, job.wording()));
    return doing(std::move(line), placePiece(job, scene, std::move(p), std::move(where)));
}

std::vector<Handle> reachHandles(const Reading& r, double target, const Project& job,
                                 const Scene& scene) {
    std::vector<Handle> out;
    const Piece& seat = *job.scheme().byId(r.piece);
    if (r.to.is == Target::Is::piece) {
        out = retape(job, scene, r.to.piece, r.piece, target - r.value.value);
        auto nearer =
            moveAway(job, scene, r.to.piece, pieceTarget(r.piece), target - r.value.value);
        out.push_back(nearer);
    }
    for (const Side side : {Side::right, Side::left})
        if (auto table = tableBeside(job, scene, seat, side))
            out.push_back(std::move(*table));
    return out;
}

void judgeCount(const FloorContext& c) {
    const Length each = c.rule.setting("each");
    const Length arms = c.rule.setting("arms");
    const auto brief = c.judgement.briefs.find(c.scene.room->name);
    const Target room = roomTarget();
    if (c.scene.placed.empty())
        return;
    for (const bool guests : {false, true}) {
        const int seats =
            seatsIn(*c.scene.scheme, guests ? Arrangement::guests : Arrangement::day, each, arms);
        const int wanted = brief == c.judgement.briefs.end() ? 0
                           : guests                          ? brief->second.guests
                                                             : brief->second.day;
        const Vec2 at = c.scene.room->middle();
        const Amount value{Quantity::count, static_cast<double>(seats)};
        if (seats == 0 && wanted == 0)
            continue;
        Band band;
        band.low = wanted;
        Reading& r =
            wanted > 0 ? c.add(0, room, value, band, at, at) : c.note(0, room, value, at, at);
        r.inUse = guests;
    }
}

std::vector<Handle> countHandles(const Reading& r, double, const Project& job, const Scene& whole) {
    const FloorView scene(whole);
    // One more chair at a table that has room for it.
    std::vector<Handle> out;
    if (r.inUse)
        return out;
    const Rule* pull = job.library.book->byId("chair-pull-out");
    if (pull == nullptr)
        return out;
    const Length each = elbowRoom(job);
    for (std::size_t t = 0; t < scene.placed.size(); ++t) {
        if (scene.piece(t).kind->role != Role::diningTable)
            continue;
        int now = 0;
        for (std::size_t i = 0; i < scene.placed.size(); ++i)
            now += scene.piece(i).kind->role == Role::diningChair &&
                           tableOf(scene, i, pull->setting("at table")) == t
                       ? 1
                       : 0;
        const int wanted =
            now + static_cast<int>(std::ceil(r.band.low.value_or(0) - r.value.value));
        if (wanted <= seatsBy(scene.piece(t), each))
            if (const KindPtr chair = usualChair(job, scene.piece(t).id))
                out.push_back(doing(fmt::format("seat {} with {}", scene.piece(t).name, wanted),
                                    seatTable(job, whole, scene.piece(t).id, wanted, chair)));
    }
    return out;
}

/// All seats pushed to the walls: said only when they all are, with the floor that leaves.
void judgePushed(const FloorContext& c) {
    const Length contact = c.rule.setting("to the wall");
    const Room& room = *c.scene.room;
    int seats = 0;
    std::optional<Gap> lane;
    int first = 0;
    int second = 0;
    for (std::size_t i = 0; i < c.scene.placed.size(); ++i) {
        if (!isLounge(c.scene.piece(i)))
            continue;
        ++seats;
        bool pushed = false;
        const Pose& pose = c.scene.placed[i].pose;
        const double back = extent(c.scene.placed[i].shape, -pose.front());
        for (std::size_t k = 0; k < room.stretches() && !pushed; ++k) {
            const Wall w = room.stretchAt(k);
            pushed = dot(w.inward(), pose.front()) > 0.9 &&
                     std::abs(-back - dot(w.start, pose.front())) < contact.mm();
        }
        if (!pushed)
            return;
        for (std::size_t k = 0; k < i; ++k) {
            if (!isLounge(c.scene.piece(k)) ||
                dot(c.scene.placed[k].pose.front(), pose.front()) > -0.9)
                continue;
            const Gap g = gapBetween(c.scene.placed[i].shape, c.scene.placed[k].shape);
            if (!lane || g.apart > lane->apart) {
                lane = g;
                first = c.scene.placed[i].id;
                second = c.scene.placed[k].id;
            }
        }
    }
    if (seats < 2 || !lane)
        return;
    c.note(first, pieceTarget(second), Amount::of(lane->apart), lane->onFirst, lane->onSecond);
}

std::vector<Handle> seatsApart(const Reading& r, double target, const Project& job,
                               const Scene& scene) {
    const double by = target - r.value.value;
    auto out = retape(job, scene, r.piece, r.other.piece, by);
    out.push_back(moveAway(job, scene, r.piece, r.other, by));
    out.push_back(moveAway(job, scene, r.other.piece, pieceTarget(r.piece), by));
    return out;
}

constexpr std::array<RuleCode, 6> talkCodes{
    {{"conversation", judgeTalk, seatsApart, false, false, {}, true},
     {"seats-level", judgeHeightsLevel, heightsLevelHandles},
     {"heights-level", judgeHeights, noHandles},
     {"surface-in-reach", judgeReach, reachHandles},
     {"seats-count", judgeCount, countHandles},
     {"against-the-wall", judgePushed, noHandles}}};

} // namespace

std::vector<std::vector<std::size_t>> groupsIn(const FloorView& scene,
                                               const std::vector<Talk>& talks) {
    std::vector<std::size_t> root(scene.placed.size());
    std::iota(root.begin(), root.end(), std::size_t{0});
    const auto find = [&](std::size_t i) {
        while (root[i] != i)
            i = root[i];
        return i;
    };
    for (const Talk& t : talks)
        root[find(t.first)] = find(t.second);
    std::vector<std::vector<std::size_t>> out;
    for (std::size_t i = 0; i < root.size(); ++i) {
        std::vector<std::size_t> group;
        for (std::size_t k = 0; k < root.size(); ++k)
            if (isLounge(scene.piece(k)) && find(k) == i)
                group.push_back(k);
        if (group.size() > 1)
            out.push_back(std::move(group));
    }
    return out;
}

std::vector<Talk> talksIn(const FloorView& scene, const RuleBook& book) {
    const Rule* rule = book.byId("conversation");
    return rule != nullptr ? talksIn(scene, *rule) : std::vector<Talk>{};
}

int seatsIn(const Scheme& scheme, Arrangement arrangement, Length each, Length arms) {
    const bool here = scheme.arrangement == arrangement;
    int seats = 0;
    const auto count = [&](const Piece& p) {
        if (arrangement == Arrangement::guests || p.kind->role != Role::perch)
            seats += seatsOf(p, each, arms);
    };
    for (const Piece& p : scheme.pieces)
        if (here || !p.onlyHere)
            count(p);
    if (!here)
        for (const Piece& p : scheme.away)
            count(p);
    return seats;
}

std::span<const RuleCode> talkRules() {
    return talkCodes;
}

} // namespace mezzet
