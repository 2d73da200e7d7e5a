// Where a rug's edges meet feet, doors and stairs: rug-trip, rug-door, rug-stop, rug-stairs.
#include "edit/place.h"
#include "geometry/gap.h"
#include "geometry/polygon.h"
#include "judge/lying.h"
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

// ---- rug-trip ----

/// Where a rug's edge crosses a line, if it does.
std::optional<Vec2> crossingOf(const std::vector<Vec2>& corners, Vec2 from, Vec2 to) {
    for (std::size_t i = 0; i < corners.size(); ++i)
        if (const auto at = crossing({corners[i], corners[(i + 1) % corners.size()]}, {from, to}))
            return at;
    return {};
}

void judgeRugTrip(const FloorContext& c) {
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
        for (const double times : {1.0, 2.0})
            out.push_back(
                moveAway(job, scene, r.piece, r.to, r.rule->setting("doorway").mm() * times));
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

void judgeRugDoor(const FloorContext& c) {
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
            const Length thick = p.size.height + padUnder(p, c.book.habit("rug-pad"));
            Band band;
            if (door.undercut)
                band.high = door.undercut->mm();
            Reading& r = c.add(p.id, targetOf(door), Amount::of(thick), *at, middleOf(room, door));
            r.band = band;
            const bool caught =
                door.undercut && thick >= *door.undercut - Length::millimetres(0.005);
            if (!rugOf(p).pad && door.undercut)
                r.instead = caught ? "usual pad, caught" : "usual pad";
            r.verdict = !door.undercut ? Verdict::note : caught ? Verdict::loose : Verdict::right;
        }
    }
}

std::vector<Handle> rugDoorHandles(const Reading& r, double target, const Project& job,
                                   const Scene& scene) {
    const Piece& p = *job.scheme().byId(r.piece);
    const Length pad = padUnder(p, job.library.book->habit("rug-pad"));
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

void judgeRugStop(const FloorContext& c) {
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
            double on = reachWithin(room.edge, middle + way * 0.1, way);
            for (const Fixture& f : room.fixtures)
                if (carpetGoesRound(f))
                    for (const auto& taken : takenBy(room, f))
                        for (std::size_t k = 0; k < taken.size(); ++k)
                            if (const auto hit = crossing({taken[k], taken[(k + 1) % taken.size()]},
                                                          {middle, middle + way * (open + 1)}))
                                on = std::min(on, dot(*hit - middle, way));
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

std::vector<Handle> rugStopHandles(const Reading& r, double target, const Project& job,
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

void judgeRugStairs(const FloorContext& c) {
    for (std::size_t i = 0; i < c.scene.placed.size(); ++i) {
        const Piece& p = c.scene.piece(i);
        if (!p.kind->flat() || rugOf(p).stairs == 0)
            continue;
        const Pose& pose = c.scene.placed[i].pose;
        const Fixture* stairs = stairsUnder(*c.scene.room, rugOf(p));
        c.add(p.id, stairs != nullptr ? targetOf(*stairs) : Target{}, Amount::of(p.size.height),
              pose.at, pose.at);
    }
}

std::vector<Handle> stairsHandles(const Reading& r, double target, const Project& job,
                                  const Scene& scene) {
    return {resize(job, scene, r.piece, SizeFigure::height, target, 1)};
}

constexpr std::array<RuleCode, 4> rugEdgesCodes{
    {{.id = "rug-trip", .judge = judgeRugTrip, .handles = tripHandles, .nearEdge = true},
     {.id = "rug-door", .judge = judgeRugDoor, .handles = rugDoorHandles, .goneWhenMended = true},
     {.id = "rug-stop", .judge = judgeRugStop, .handles = rugStopHandles, .nearEdge = true},
     {.id = "rug-stairs", .judge = judgeRugStairs, .handles = stairsHandles, .nearEdge = true}}};

} // namespace

std::span<const RuleCode> rugEdgeRules() {
    return rugEdgesCodes;
}

} // namespace mezzet
