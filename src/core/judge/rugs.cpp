// What lies on the floor: rug-hold, rug-dining, rug-border, rug-trip, rug-door, rug-stop,
// rug-stairs.
#include "edit/place.h"
#include "geometry/gap.h"
#include "geometry/polygon.h"
#include "judge/at_table.h"
#include "judge/rug_facts.h"
#include "judge/rule_code.h"
#include "measure/text.h"
#include "scheme/rug.h"

#include <fmt/format.h>

#include <algorithm>
#include <array>
#include <cmath>

namespace mezzet {

namespace {

/// A rug as the rules look at it.
struct Lying {
    std::size_t index = 0;
    std::vector<Vec2> corners; ///< clockwise
    double area = 0;           ///< mm²
};

/// Those on the floor; not a stair's runner.
std::vector<Lying> rugsOf(const FloorView& scene, bool layered) {
    std::vector<Lying> out;
    for (std::size_t i = 0; i < scene.placed.size(); ++i) {
        const Piece& p = scene.piece(i);
        if (!p.kind->flat() || rugOf(p).stairs > 0 || (!layered && isLayered(scene, i)))
            continue;
        Lying l{i, trueOutline(p, scene.placed[i].pose, Length::millimetres(0.5)), areaOf(p)};
        if (signedArea(l.corners) < 0)
            std::reverse(l.corners.begin(), l.corners.end());
        out.push_back(std::move(l));
    }
    return out;
}

bool isRunner(const Piece& p) {
    return std::max(p.size.width, p.size.depth) > std::min(p.size.width, p.size.depth) * 2.5;
}

// ---- rug-hold ----

/// What a rug may hold: not a runner, and large enough to stand a chair on.
bool holds(const Piece& rug, const Lying& l, const Rule& rule) {
    const double least = rule.setting("least side").mm();
    return !isRunner(rug) && l.area >= least * least;
}

void judgeHold(const FloorContext& c) {
    const auto rugs = rugsOf(c.scene, false);
    if (rugs.empty())
        return;
    const Length leg = c.book.habit("rug-leg");
    const Length front = c.book.habit("front-legs-least");
    const double near = c.rule.setting("near").mm();
    for (std::size_t i = 0; i < c.scene.placed.size(); ++i) {
        const Piece& seat = c.scene.piece(i);
        if (!isLounge(seat) || !seat.on.isFloor())
            continue;
        const Placed& where = c.scene.placed[i];
        const Lying* best = nullptr;
        SeatOnRug most;
        for (const Lying& l : rugs) {
            const Piece& rug = c.scene.piece(l.index);
            if (!holds(rug, l, c.rule) ||
                fartherThan(where.shape, c.scene.placed[l.index].shape, Length::millimetres(near)))
                continue;
            const SeatOnRug on = seatOnRug(seat, where.pose, l.corners, leg, front);
            // One behind or beside a seat is another group's.
            const bool ahead =
                where.pose.toLocal(c.scene.placed[l.index].pose.at).y > 0 || on.legsOn > 0;
            if (on.depth < -near || !ahead || (best != nullptr && on.depth <= most.depth))
                continue;
            best = &l;
            most = on;
        }
        if (best == nullptr)
            continue;
        const Piece& rug = c.scene.piece(best->index);
        const double d = seat.size.depth.mm() / 2;
        const Vec2 edge = where.pose.toRoom({0, d});
        Band band = c.band;
        band.low = c.judgement.choices.count(c.rule.id) == 0 ? front.mm() : band.low;
        Reading& r =
            c.add(seat.id, pieceTarget(rug.id), Amount::of(Length::millimetres(most.depth)), band,
                  edge, where.pose.toRoom({0, d - most.depth}));
        r.second = {Quantity::count, static_cast<double>(most.legsOn)};
        r.instead = most.how == SeatOnRug::How::all                 ? "all"
                    : r.verdict == Verdict::tight && most.depth < 0 ? "floating"
                                                                    : "";
    }
}

/// "NAME 12 wide" of whichever figure of the rug runs the way the seat looks.
Handle widen(const Project& job, const Scene& scene, int rug, Vec2 way, double by, double slope) {
    const Piece& p = *job.scheme().byId(rug);
    const Placed* where = scene.byId(rug);
    const bool across = where != nullptr && std::abs(dot(way, where->pose.right())) > 0.7;
    return resize(job, scene, rug, across ? SizeFigure::width : SizeFigure::depth,
                  (across ? p.size.width : p.size.depth).mm() + by, slope);
}

std::vector<Handle> holdHandles(const Reading& r, double target, const Project& job,
                                const Scene& scene) {
    const int rug = r.other.piece;
    const Placed* seat = scene.byId(r.piece);
    if (seat == nullptr || r.other.is != Target::Is::piece)
        return {};
    const double by = target - r.value.value;
    std::vector<Handle> out;
    auto toward = moveAway(job, scene, rug, pieceTarget(r.piece), -by);
    toward.slope = -1;
    out.push_back(std::move(toward));
    out.push_back(widen(job, scene, rug, seat->pose.front(), 2 * by, 0.5));
    auto seatToward = moveAway(job, scene, r.piece, pieceTarget(rug), -by);
    seatToward.slope = -1;
    out.push_back(std::move(seatToward));
    return out;
}

// ---- rug-dining ----

/// How far a rug reaches past a table's edge, at the narrowest of a lane out from it; less than
/// nothing where it ends under the table. mm.
double pastEdge(const std::vector<Vec2>& rug, const Lane& lane, Vec2 middle) {
    const Vec2 side = quarter(lane.along);
    const double half = lane.halfWidth.mm() - 0.005;
    const double edge = dot(lane.from - middle, lane.along);
    double least = 1e300;
    for (std::size_t i = 0; i < rug.size(); ++i) {
        const Vec2 a{dot(rug[i] - lane.from, side), dot(rug[i] - middle, lane.along)};
        const Vec2 q = rug[(i + 1) % rug.size()];
        const Vec2 b{dot(q - lane.from, side), dot(q - middle, lane.along)};
        const double from = std::max(std::min(a.x, b.x), -half);
        const double to = std::min(std::max(a.x, b.x), half);
        if (from > to)
            continue;
        for (const double x : {from, to}) {
            const double y =
                std::abs(b.x - a.x) > 1e-9 ? a.y + (b.y - a.y) * (x - a.x) / (b.x - a.x) : a.y;
            if (y > 0)
                least = std::min(least, y);
        }
    }
    return least - edge;
}

void judgeDining(const FloorContext& c) {
    const auto rugs = rugsOf(c.scene, false);
    if (rugs.empty())
        return;
    for (std::size_t i = 0; i < c.scene.placed.size(); ++i) {
        const Piece& table = c.scene.piece(i);
        if (table.kind->role != Role::diningTable || !table.on.isFloor())
            continue;
        const Vec2 middle = c.scene.placed[i].pose.at;
        // The smallest it stands on.
        const Lying* under = nullptr;
        for (const Lying& l : rugs)
            if (insideOutline(l.corners, middle) && (under == nullptr || l.area < under->area))
                under = &l;
        if (under == nullptr)
            continue;
        int part = 0;
        for (const Lane& lane :
             seatingSides(c.scene, i, c.rule.setting("place"), c.rule.setting("at table"))) {
            const double past = pastEdge(under->corners, lane, middle);
            Reading& r = c.add(c.scene.piece(under->index).id, pieceTarget(table.id),
                               Amount::of(Length::millimetres(past)), lane.from,
                               lane.from + lane.along * past);
            r.part = ++part;
        }
    }
}

std::vector<Handle> diningHandles(const Reading& r, double target, const Project& job,
                                  const Scene& scene) {
    const double by = target - r.value.value;
    const Vec2 way = norm(r.at[1] - r.at[0]) > 0.01 ? unit(r.at[1] - r.at[0]) : Vec2{0, 1};
    const auto* rug = scene.byId(r.piece);
    if (rug == nullptr)
        return {};
    std::vector<Handle> out{widen(job, scene, r.piece, way, 2 * by, 0.5)};
    if (std::abs(way.x) > 0.9) {
        auto h = moveRight(job, scene, r.piece, way.x > 0 ? by : -by);
        h.slope = way.x > 0 ? 1 : -1;
        out.push_back(std::move(h));
    }
    return out;
}

// ---- rug-border ----

/// The floor left bare between an edge of a rug and the wall it looks at.
struct Bare {
    int wall = 0;
    double by = 0; ///< mm
    Vec2 onRug;
    Vec2 onWall;
};

/// The narrowest toward each wall, for edges that run along it.
std::vector<Bare> bareOf(const FloorView& scene, const Lying& l, double leastEdge) {
    const Room& room = *scene.room;
    std::vector<Bare> out;
    for (std::size_t i = 0; i < l.corners.size(); ++i) {
        const Vec2 a = l.corners[i];
        const Vec2 b = l.corners[(i + 1) % l.corners.size()];
        if (norm(b - a) < leastEdge)
            continue;
        const Vec2 outward = quarter(unit(b - a)) * -1.0;
        const Vec2 from = (a + b) / 2;
        // The wall met first, straight out from the middle of the edge.
        std::optional<std::size_t> hit;
        double least = 1e300;
        for (std::size_t k = 0; k < room.stretches(); ++k) {
            const Wall w = room.stretchAt(k);
            const double against = -dot(outward, w.inward());
            if (against < 0.9)
                continue;
            const double far = dot(from - w.start, w.inward()) / against;
            const double along = dot(from + outward * far - w.start, w.along());
            if (far > -1 && far < least && along > -1 && along < w.length().mm() + 1) {
                least = far;
                hit = k;
            }
        }
        if (!hit)
            continue;
        const Wall w = room.stretchAt(*hit);
        const Gap g = gapBetween(stretch({a, b}), stretch({w.start, w.end}));
        const int wall = room.edgeWall[*hit];
        const auto it =
            std::find_if(out.begin(), out.end(), [&](const Bare& o) { return o.wall == wall; });
        const Bare one{wall, g.apart.mm(), g.onFirst, g.onSecond};
        if (it == out.end())
            out.push_back(one);
        else if (one.by < it->by)
            *it = one;
    }
    return out;
}

/// Whether a rug is there to fill its room, and so has a border and not just floor round it.
bool fills(const FloorView& scene, const Piece& p, const Lying& l, const Rule& rule) {
    return rugOf(p).fit ||
           (!isRunner(p) && l.area >= rule.number("share") * scene.room->floorArea());
}

void judgeBorder(const FloorContext& c) {
    const Room& room = *c.scene.room;
    if (!room.closed)
        return;
    for (const Lying& l : rugsOf(c.scene, false)) {
        const Piece& p = c.scene.piece(l.index);
        if (!fills(c.scene, p, l, c.rule))
            continue;
        const auto bare = bareOf(c.scene, l, c.rule.setting("least edge").mm());
        const bool ends =
            rugOf(p).fit && !(rugOf(p).fit->ends.empty() && rugOf(p).fit->clear.empty());
        const auto meant = [&](const Bare& b) {
            // Where it was said to end, the floor beyond is meant.
            return !(ends && b.by > c.band.high.value_or(1e9) * 1.5);
        };
        for (const Bare& b : bare)
            if (meant(b))
                c.add(p.id, wallTarget(b.wall), Amount::of(Length::millimetres(b.by)), b.onRug,
                      b.onWall);
        // Opposite sides alike.
        for (std::size_t i = 0; i < bare.size(); ++i)
            for (std::size_t k = i + 1; k < bare.size(); ++k) {
                const Wall& a = room.walls[static_cast<std::size_t>(bare[i].wall)];
                const Wall& b = room.walls[static_cast<std::size_t>(bare[k].wall)];
                const double over = std::abs(bare[i].by - bare[k].by);
                if (dot(a.inward(), b.inward()) > -0.99 || !meant(bare[i]) || !meant(bare[k]))
                    continue;
                Band even;
                even.high = c.rule.setting("uneven").mm();
                Reading& r =
                    c.add(p.id, wallTarget(bare[i].wall), Amount::of(Length::millimetres(over)),
                          even, bare[i].onRug, bare[k].onRug);
                r.part = bare[k].wall + 1;
                r.from = wallTarget(bare[k].wall);
                r.instead = r.verdict == Verdict::loose ? "uneven" : "even";
            }
    }
}

/// The same rug with another border.
Result<Edit> withBorder(const Project& job, const Scene& scene, int id, double border) {
    Piece p = asItStands(job, scene, id);
    if (!p.rug || !p.rug->fit || border < 0)
        return Problem{"it is not cut to the room", ""};
    Placement said;
    said.rug = *p.rug;
    said.rug->fit->border = Length::millimetres(border);
    return placePiece(job, scene, std::move(p), std::move(said));
}

std::vector<Handle> borderHandles(const Reading& r, double target, const Project& job,
                                  const Scene& scene) {
    const Piece* p = job.scheme().byId(r.piece);
    if (p == nullptr || r.other.is != Target::Is::wall)
        return {};
    const double by = target - r.value.value;
    const Wall& w = job.room->walls[static_cast<std::size_t>(r.other.index)];
    std::vector<Handle> out;
    if (p->rug && p->rug->fit) {
        if (r.part == 0)
            out.push_back(
                {.edit = [&job, &scene,
                          id = r.piece](double x) { return withBorder(job, scene, id, x); },
                 .line =
                     [&job, id = r.piece](double x) {
                         return fmt::format("{} {} off the walls", job.scheme().byId(id)->name,
                                            writeGap(Length::millimetres(x), job.notation));
                     },
                 .start = target});
        return out;
    }
    if (r.part > 0) {
        // Half of what is uneven, toward the wider side.
        auto h = moveAway(job, scene, r.piece, r.other, by / -2);
        h.slope = -2;
        auto other = moveAway(job, scene, r.piece, r.from, by / -2);
        other.slope = -2;
        out.push_back(std::move(h));
        out.push_back(std::move(other));
        return out;
    }
    out.push_back(widen(job, scene, r.piece, w.inward(), -2 * by, -0.5));
    out.push_back(moveAway(job, scene, r.piece, r.other, by));
    return out;
}

// ---- rug-trip ----

/// Where a rug's edge crosses a line, if it does.
std::optional<Vec2> crossingOf(const std::vector<Vec2>& corners, Vec2 from, Vec2 to) {
    for (std::size_t i = 0; i < corners.size(); ++i)
        if (const auto at = crossing({corners[i], corners[(i + 1) % corners.size()]}, {from, to}))
            return at;
    return {};
}

void judgeTrip(const FloorContext& c) {
    const Room& room = *c.scene.room;
    const auto rugs = rugsOf(c.scene, true);
    if (rugs.empty())
        return;
    const double deep = c.rule.setting("doorway").mm();
    const double lane = c.rule.setting("corner").mm();
    for (const Lying& l : rugs) {
        const Piece& p = c.scene.piece(l.index);
        int trips = 0;
        bool asked = false;
        Vec2 first = c.scene.placed[l.index].pose.at;
        Target at;
        const auto trip = [&](Vec2 where, const Target& what) {
            if (trips++ == 0) {
                first = where;
                at = what;
            }
        };
        for (const Opening& o : room.openings) {
            if (!isWayIn(o))
                continue;
            // The floor in and just before the doorway.
            const Wall& w = room.walls[static_cast<std::size_t>(o.wall)];
            const Vec2 a = w.at(o.left);
            const Vec2 b = w.at(o.left + o.width);
            const Vec2 in = w.inward() * deep;
            const Shape floor = convexPolygon(std::array<Vec2, 4>{a, b, b + in, a + in});
            if (fartherThan(c.scene.placed[l.index].shape, floor, Length::millimetres(deep)))
                continue;
            asked = true;
            std::optional<Vec2> met;
            for (std::size_t i = 0; i < l.corners.size() && !met; ++i) {
                const Vec2 from = l.corners[i];
                const Vec2 to = l.corners[(i + 1) % l.corners.size()];
                const Gap g = gapBetween(stretch({from, to}), floor);
                // An edge that only runs along the doorway's sides is walked past.
                const bool along = std::abs(dot(unit(to - from), w.inward())) > 0.99;
                const double off = dot(from - a, w.along());
                const bool beside = along && (off < 1 || off > o.width.mm() - 1);
                if (g.depth > Length::millimetres(0.5) && !beside)
                    met = g.onFirst;
                else if (const auto across = crossing({from, to}, {a + in / 2, b + in / 2});
                         across && !beside)
                    met = across;
                else if (contains(floor, (from + to) / 2) && !beside)
                    met = (from + to) / 2;
            }
            if (met)
                trip(*met, targetOf(o));
        }
        // Corners in a way, and edges that cross one aslant.
        for (const auto& line : c.shared.lines())
            for (std::size_t i = 0; i + 1 < line.size(); ++i) {
                const Vec2 from = line[i];
                const Vec2 to = line[i + 1];
                const Shape way = stretch({from, to});
                if (fartherThan(c.scene.placed[l.index].shape, way, Length::millimetres(lane)))
                    continue;
                asked = true;
                const auto across = crossingOf(l.corners, from, to);
                if (!across)
                    continue;
                for (const Vec2 corner : l.corners) {
                    const double t = dot(corner - from, unit(to - from));
                    const double off = std::abs(cross(unit(to - from), corner - from));
                    if (t > 0 && t < norm(to - from) && off < lane && l.corners.size() < 24)
                        trip(corner, {});
                }
            }
        if (!asked)
            continue;
        const bool taped = rugOf(p).taped;
        Reading& r = c.add(p.id, at, {Quantity::count, taped ? 0.0 : double(trips)}, first, first);
        r.other = {};
        r.goal = {};
        r.instead = taped && trips > 0 ? "taped" : at.is != Target::Is::none ? "doorway" : "";
        if (at.is != Target::Is::none && !taped)
            r.to = at;
    }
}

Result<Edit> told(const Project& job, const Scene& scene, int id, const RugWork& work) {
    Placement said;
    said.rug = work;
    return placePiece(job, scene, asItStands(job, scene, id), std::move(said));
}

std::vector<Handle> tripHandles(const Reading& r, double, const Project& job, const Scene& scene) {
    const Piece& p = *job.scheme().byId(r.piece);
    std::vector<Handle> out;
    if (r.to.is != Target::Is::none)
        for (const double by : {150.0, 300.0})
            out.push_back(moveAway(job, scene, r.piece, r.to, by));
    RugWork taped = rugOf(p);
    taped.taped = true;
    out.push_back(doing(p.name + " taped", told(job, scene, r.piece, taped)));
    return out;
}

// ---- rug-door ----

/// Where a rug lies under a door's sweep.
std::optional<Vec2> underSweep(const Lying& l, const Piece& p, const Placed& where,
                               const Shape& swing) {
    if (!standsOn(swing, p, where))
        return {};
    for (const Vec2 q : outline(swing, Length::millimetres(1)))
        if (insideOutline(l.corners, q))
            return q;
    return swing.centre;
}

void judgeDoor(const FloorContext& c) {
    const Room& room = *c.scene.room;
    const auto rugs = rugsOf(c.scene, true);
    if (rugs.empty())
        return;
    for (const Opening& door : room.openings) {
        const auto swing = doorSwing(room, door);
        if (!swing)
            continue;
        for (const Lying& l : rugs) {
            const Piece& p = c.scene.piece(l.index);
            const auto at = underSweep(l, p, c.scene.placed[l.index], *swing);
            if (!at)
                continue;
            const Length thick = p.size.height + rugOf(p).pad.value_or(c.book.habit("rug-pad"));
            Band band;
            if (door.undercut)
                band.high = door.undercut->mm();
            Reading& r = c.add(p.id, targetOf(door), Amount::of(thick), *at, middleOf(room, door));
            r.band = band;
            r.verdict = !door.undercut                                         ? Verdict::note
                        : thick >= *door.undercut - Length::millimetres(0.005) ? Verdict::loose
                                                                               : Verdict::right;
        }
    }
}

std::vector<Handle> doorHandles(const Reading& r, double target, const Project& job,
                                const Scene& scene) {
    const Piece& p = *job.scheme().byId(r.piece);
    const Length pad = rugOf(p).pad.value_or(job.library.book->habit("rug-pad"));
    const double by = target - r.value.value;
    std::vector<Handle> out;
    const auto padded = [&job, &scene, id = r.piece](double x) -> Result<Edit> {
        if (x < 1)
            return Problem{"no pad is as thin as that", ""};
        RugWork work = rugOf(*job.scheme().byId(id));
        work.pad = Length::millimetres(x);
        return told(job, scene, id, work);
    };
    if (pad > Length{}) {
        out.push_back({.edit = padded,
                       .line =
                           [&job, id = r.piece](double x) {
                               return fmt::format("{} on a pad {}", job.scheme().byId(id)->name,
                                                  writeGap(Length::millimetres(x), job.notation));
                           },
                       .start = pad.mm() + by - division(job.notation).mm()});
        RugWork bare = rugOf(p);
        bare.pad = Length{};
        out.push_back(doing(p.name + " without a pad", told(job, scene, r.piece, bare)));
    }
    out.push_back(moveAway(job, scene, r.piece, r.other, p.size.width.mm() / 4));
    return out;
}

// ---- rug-stop ----

/// The lines a building gives across the way a rug runs: jambs, and corners of the walls.
void linesAcross(const Room& room, Vec2 from, Vec2 way, double reach,
                 const std::function<void(double, Vec2)>& add) {
    const auto near = [&](Vec2 p) { return std::abs(cross(way, p - from)) < reach; };
    for (const Opening& o : room.openings) {
        const Wall& w = room.walls[static_cast<std::size_t>(o.wall)];
        for (const Length at : {o.left, o.left + o.width})
            if (isWayIn(o) && near(w.at(at)))
                add(dot(w.at(at) - from, way), w.at(at));
    }
    const std::size_t n = room.edge.size();
    for (std::size_t i = 0; i < n; ++i) {
        const Vec2 before = room.edge[(i + n - 1) % n];
        const Vec2 at = room.edge[i];
        const Vec2 after = room.edge[(i + 1) % n];
        if (std::abs(cross(unit(at - before), unit(after - at))) > 0.17 && near(at))
            add(dot(at - from, way), at);
    }
}

void judgeStop(const FloorContext& c) {
    const Room& room = *c.scene.room;
    if (!room.closed)
        return;
    const double open = c.rule.setting("open").mm();
    const double reach = c.rule.setting("look").mm();
    for (const Lying& l : rugsOf(c.scene, true)) {
        const Piece& p = c.scene.piece(l.index);
        const bool runner = !isCut(p) && isRunner(p);
        if (!runner && !rugOf(p).fit)
            continue;
        const std::size_t n = l.corners.size();
        double shortest = std::min(p.size.width, p.size.depth).mm() * 1.5;
        int part = 0;
        for (std::size_t i = 0; i < n; ++i) {
            const Vec2 a = l.corners[i];
            const Vec2 b = l.corners[(i + 1) % n];
            ++part;
            if (norm(b - a) < 200 || (runner && norm(b - a) > shortest))
                continue;
            const Vec2 way = quarter(unit(b - a)) * -1.0;
            const Vec2 middle = (a + b) / 2;
            // In the open: the floor goes on past it.
            const double on = reachWithin(room.edge, middle + way * 0.1, way);
            if (on < open)
                continue;
            double least = 1e300;
            Vec2 at = middle;
            linesAcross(room, middle, way, reach, [&](double far, Vec2 there) {
                if (std::abs(far) < std::abs(least)) {
                    least = far;
                    at = there;
                }
            });
            if (least > 1e299)
                continue;
            Reading& r = c.add(p.id, {}, Amount::of(Length::millimetres(std::abs(least))), middle,
                               middle + way * least);
            r.part = part;
            r.second = Amount::of(Length::millimetres(least));
            for (const Opening& o : room.openings)
                if (const auto swing = doorSwing(room, o);
                    swing && gapBetween(stretch({a, b}), *swing).depth > Length::millimetres(1)) {
                    r.verdict = Verdict::loose;
                    r.instead = "swing";
                    r.to = targetOf(o);
                }
            for (const Opening& o : room.openings) {
                // A closet just past the end is reached from the rug.
                const Wall& w = room.walls[static_cast<std::size_t>(o.wall)];
                const double far = dot(w.at(o.left + o.width / 2) - middle, way);
                if (foldCase(o.leadsTo).find("closet") != std::string::npos && far > 0 &&
                    far < c.rule.setting("closet").mm()) {
                    r.verdict = Verdict::loose;
                    r.instead = "closet";
                    r.to = targetOf(o);
                }
            }
        }
    }
}

std::vector<Handle> stopHandles(const Reading& r, double target, const Project& job,
                                const Scene& scene) {
    const Piece& p = *job.scheme().byId(r.piece);
    std::vector<Handle> out;
    if (p.rug && p.rug->fit) {
        for (const Opening& o : job.room->openings)
            if (isWayIn(o)) {
                RugWork work = *p.rug;
                work.fit->ends = {targetOf(o)};
                work.fit->clear.clear();
                out.push_back(
                    doing(fmt::format("{} ending at {}", p.name, words(targetOf(o), job.wording())),
                          told(job, scene, r.piece, work)));
            }
        return out;
    }
    const double way = r.second.value;
    const Vec2 toward = norm(r.at[1] - r.at[0]) > 0.01 ? unit(r.at[1] - r.at[0]) : Vec2{1, 0};
    out.push_back(widen(job, scene, r.piece, toward, 2 * (way - target), 0.5));
    return out;
}

// ---- rug-stairs ----

void judgeStairs(const FloorContext& c) {
    for (std::size_t i = 0; i < c.scene.placed.size(); ++i) {
        const Piece& p = c.scene.piece(i);
        if (!p.kind->flat() || rugOf(p).stairs == 0)
            continue;
        const Pose& pose = c.scene.placed[i].pose;
        Target stairs;
        for (const Fixture& f : c.scene.room->fixtures)
            if (f.kind == FixtureKind::stairs && f.number == rugOf(p).stairs)
                stairs = targetOf(f);
        c.add(p.id, stairs, Amount::of(p.size.height), pose.at, pose.at);
    }
}

std::vector<Handle> stairsHandles(const Reading& r, double target, const Project& job,
                                  const Scene& scene) {
    return {resize(job, scene, r.piece, SizeFigure::height, target, 1)};
}

constexpr std::array<RuleCode, 7> codes{
    {{.id = "rug-hold", .judge = judgeHold, .handles = holdHandles, .toNearest = true},
     {.id = "rug-dining", .judge = judgeDining, .handles = diningHandles},
     {.id = "rug-border", .judge = judgeBorder, .handles = borderHandles},
     {.id = "rug-trip", .judge = judgeTrip, .handles = tripHandles, .nearEdge = true},
     {.id = "rug-door", .judge = judgeDoor, .handles = doorHandles, .goneWhenMended = true},
     {.id = "rug-stop", .judge = judgeStop, .handles = stopHandles, .nearEdge = true},
     {.id = "rug-stairs", .judge = judgeStairs, .handles = stairsHandles, .nearEdge = true}}};

} // namespace

std::span<const RuleCode> rugRules() {
    return codes;
}

} // namespace mezzet
