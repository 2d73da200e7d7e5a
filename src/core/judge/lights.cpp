// Lights: how high they hang over tables and ways, how large they are, where those let into the
// ceiling are: pendant-over-table, pendant-over-island, pendant-sight, pendant-size,
// pendant-spacing, fixture-headroom, fixture-room-size, recessed-count, recessed-edge,
// recessed-task, light-zones, joists, lamp-shade; illuminance and glare are in judge/lux.h.
#include "geometry/gap.h"
#include "hang/mirror.h"
#include "judge/at_table.h"
#include "judge/near.h"
#include "judge/rule_code.h"
#include "scheme/surfaces.h"

#include <algorithm>
#include <array>
#include <cmath>
#include <map>
#include <numbers>

namespace mezzet {

namespace {

bool isLetIn(const Piece& p) {
    return p.kind->light && p.kind->light->cutOut > Length{};
}
/// Hangs by a cord or a rod.
bool isHung(const Piece& p) {
    return p.kind->light && p.kind->light->hung;
}
/// Let in, and of those that light a room at large.
bool isGeneral(const Piece& p) {
    return isLetIn(p) && p.kind->light->general;
}
/// The highest thing on the floor under a point, rugs aside.
std::optional<std::size_t> under(const CeilingContext& c, Vec2 at) {
    std::optional<std::size_t> best;
    double most = -1;
    for (std::size_t i = 0; i < c.scene.floor.placed.size(); ++i) {
        const Piece& p = c.scene.floor.piece(i);
        if (!p.kind->takesFloor() || !contains(c.scene.floor.placed[i].shape, at))
            continue;
        if (const double top = p.top().mm(); top > most) {
            most = top;
            best = i;
        }
    }
    return best;
}

/// Room for a light under a ceiling as high as this: so much more for every so much over the usual.
Band bandUnder(const CeilingContext& c, Length ceiling) {
    Band band = c.band;
    const double by = raisedUnder(c.rule, ceiling).mm();
    for (auto* bound : {&band.low, &band.high, &band.bestLow, &band.bestHigh})
        if (*bound)
            **bound += by;
    return band;
}

/// From the top of what it hangs over to its lowest point.
template <class Wanted> void lightOver(const CeilingContext& c, Wanted wanted) {
    for (std::size_t i = 0; i < c.scene.placed.size(); ++i) {
        const Piece& p = c.scene.piece(i);
        if (!isHung(p))
            continue;
        const Placed& where = c.scene.placed[i];
        const auto over = under(c, where.pose.at);
        if (!over || !wanted(c.scene.floor.piece(*over)))
            continue;
        const Piece& table = c.scene.floor.piece(*over);
        const Length value = bottomOf(c.scene, p, where) - table.top();
        c.add(p.id, pieceTarget(table.id), Amount::of(value),
              bandUnder(c, c.scene.room->headroom(where.pose.at)), where.pose.at, where.pose.at);
    }
}
bool isTable(const Piece& p) {
    return p.kind->role == Role::diningTable && !p.kind->workedAt;
}
void lightOverTable(const CeilingContext& c) {
    lightOver(c, isTable);
}
void lightOverIsland(const CeilingContext& c) {
    lightOver(c, [](const Piece& p) { return p.kind->workedAt; });
}

std::vector<Handle> hangSoFarOver(const Reading& r, double target, const Project& job,
                                  const Scene& scene) {
    Tie tie;
    tie.kind = Tie::Kind::above;
    tie.of = r.other;
    return {tieAt(job, scene, r.piece, tie, target)};
}

/// Where the eyes of whoever sits on a chair are.
Vec3 eyesOf(const CeilingContext& c, std::size_t chair) {
    return eyesOnSeat(*c.scene.room, c.scene.floor.piece(chair),
                      c.scene.floor.placed[chair].pose.at, c.judgement);
}

/// How far it hangs into the sight of two who sit at the table under it: the worst pair.
void lightSight(const CeilingContext& c) {
    const Length atTable = c.shared.setting("chair-pull-out", "at table");
    for (std::size_t i = 0; i < c.scene.placed.size(); ++i) {
        const Piece& p = c.scene.piece(i);
        const Placed& where = c.scene.placed[i];
        const auto over = isHung(p) ? under(c, where.pose.at) : std::nullopt;
        if (!over || !isTable(c.scene.floor.piece(*over)))
            continue;
        std::vector<std::size_t> chairs;
        for (std::size_t k = 0; k < c.scene.floor.placed.size(); ++k)
            if (c.scene.floor.piece(k).kind->isSeat() && tableOf(c.scene.floor, k, atTable) == over)
                chairs.push_back(k);
        const double bottom =
            (c.scene.room->levelAt(where.pose.at) + bottomOf(c.scene, p, where)).mm();
        double worst = 0;
        bool any = false;
        std::array<Vec2, 2> at{where.pose.at, where.pose.at};
        for (std::size_t a = 0; a < chairs.size(); ++a)
            for (std::size_t b = a + 1; b < chairs.size(); ++b) {
                const Vec3 from = eyesOf(c, chairs[a]);
                const Vec3 to = eyesOf(c, chairs[b]);
                constexpr int steps = 64;
                double into = -1;
                for (int s = 1; s < steps; ++s) {
                    const double part = static_cast<double>(s) / steps;
                    const Vec2 there = from.plan() + (to.plan() - from.plan()) * part;
                    if (!contains(where.shape, there))
                        continue;
                    const double eyes = from.z + (to.z - from.z) * part;
                    const double top = bottom + p.size.height.mm();
                    into = std::max(into, eyes < top ? std::max(eyes - bottom, 0.0) : 0.0);
                }
                if (into < 0)
                    continue;
                if (!any || into > worst) {
                    worst = into;
                    at = {from.plan(), to.plan()};
                }
                any = true;
            }
        if (any)
            c.add(p.id, pieceTarget(c.scene.floor.piece(*over).id),
                  Amount::of(Length::millimetres(worst)), at[0], at[1]);
    }
}

std::vector<Handle> raiseOutOfSight(const Reading& r, double, const Project& job,
                                    const Scene& scene) {
    const Piece* p = scene.pieceById(r.piece);
    const Placed* where = scene.byId(r.piece);
    const Piece* table = scene.pieceById(r.other.piece);
    if (p == nullptr || where == nullptr || table == nullptr)
        return {};
    Tie tie;
    tie.kind = Tie::Kind::above;
    tie.of = r.other;
    Handle h = tieAt(job, scene, r.piece, tie,
                     (bottomOf(scene, *p, *where) - table->top()).mm() + r.value.value);
    h.slope = -1;
    return {h};
}

/// The lights that hang over one table, in order along its longer side, with where that is.
struct Over {
    std::size_t table = 0;
    std::vector<std::pair<double, std::size_t>> along; ///< from its middle, mm; index
    double half = 0;                                   ///< of its longer side
    Vec2 way;
};
std::vector<Over> hungOver(const CeilingContext& c) {
    std::vector<Over> out;
    for (std::size_t i = 0; i < c.scene.placed.size(); ++i) {
        if (!isHung(c.scene.piece(i)))
            continue;
        const auto over = under(c, c.scene.placed[i].pose.at);
        if (!over)
            continue;
        const Piece& table = c.scene.floor.piece(*over);
        if (!isTable(table) && !table.kind->workedAt)
            continue;
        auto it =
            std::find_if(out.begin(), out.end(), [&](const Over& o) { return o.table == *over; });
        if (it == out.end()) {
            const Pose& pose = c.scene.floor.placed[*over].pose;
            const bool wide = table.size.width >= table.size.depth;
            out.push_back({*over,
                           {},
                           (wide ? table.size.width : table.size.depth).mm() / 2,
                           wide ? pose.right() : pose.front()});
            it = out.end() - 1;
        }
        it->along.emplace_back(
            dot(c.scene.placed[i].pose.at - c.scene.floor.placed[*over].pose.at, it->way), i);
    }
    for (Over& o : out)
        std::sort(o.along.begin(), o.along.end());
    return out;
}

/// Half its extent along a direction.
double reachAlong(const Shape& s, Vec2 way) {
    return (extent(s, way) + extent(s, -way)) / 2;
}

void lightSize(const CeilingContext& c) {
    for (const Over& o : hungOver(c)) {
        if (o.along.size() != 1)
            continue;
        const Piece& table = c.scene.floor.piece(o.table);
        const Piece& p = c.scene.piece(o.along.front().second);
        const Length side = std::min(table.size.width, table.size.depth);
        // A bar goes along the table: its length by the table's.
        constexpr double bar = 3;
        const bool isBar =
            std::max(p.size.width, p.size.depth) > std::min(p.size.width, p.size.depth) * bar;
        const double value = isBar ? std::max(p.size.width, p.size.depth).mm() / (2 * o.half)
                                   : std::max(p.size.width, p.size.depth) / side;
        const Vec2 at = c.scene.placed[o.along.front().second].pose.at;
        const Vec2 half = o.way * (std::max(p.size.width, p.size.depth).mm() / 2);
        c.add(p.id, pieceTarget(table.id), Amount::ratio(value), at - half, at + half);
    }
}

std::vector<Handle> otherWidth(const Reading& r, double target, const Project& job,
                               const Scene& scene) {
    const Piece* p = scene.pieceById(r.piece);
    if (p == nullptr || r.value.value <= 0)
        return {};
    const double start = p->size.width.mm() * target / r.value.value;
    return {
        resize(job, scene, r.piece, SizeFigure::width, start, r.value.value / p->size.width.mm())};
}

/// Of several over one table: the gap that differs most from the middle one; the outer ones count
/// double, to the table's ends.
void lightSpacing(const CeilingContext& c) {
    for (const Over& o : hungOver(c)) {
        if (o.along.size() < 2)
            continue;
        std::vector<double> gaps;
        for (std::size_t i = 0; i + 1 < o.along.size(); ++i)
            gaps.push_back(o.along[i + 1].first - o.along[i].first);
        const auto [least, most] = std::minmax_element(gaps.begin(), gaps.end());
        double value = *most - *least;
        // An outer one that reaches past the table's end is as far out of place.
        for (const auto& end : {o.along.front(), o.along.back()}) {
            const double reach = reachAlong(c.scene.placed[end.second].shape, o.way);
            value = std::max(value, std::abs(end.first) + reach - o.half);
        }
        const Piece& first = c.scene.piece(o.along.front().second);
        c.add(first.id, pieceTarget(c.scene.floor.piece(o.table).id),
              Amount::of(Length::millimetres(value)),
              c.scene.placed[o.along.front().second].pose.at,
              c.scene.placed[o.along.back().second].pose.at);
    }
}

/// Whether one can walk under any part of it.
bool isWalkedUnder(const CeilingContext& c, const Placed& where) {
    const auto ring = outline(where.shape, Length::millimetres(20));
    return std::any_of(ring.begin(), ring.end(),
                       [&](Vec2 p) { return c.scene.room->holds(p) && !under(c, p); });
}

void lightHeadroom(const CeilingContext& c) {
    for (std::size_t i = 0; i < c.scene.placed.size(); ++i) {
        const Piece& p = c.scene.piece(i);
        const Placed& where = c.scene.placed[i];
        if (!p.kind->light || isLetIn(p) || !isWalkedUnder(c, where))
            continue;
        // Over a table nobody walks, and its middle is over one.
        if (under(c, where.pose.at))
            continue;
        const Length bottom = bottomOf(c.scene, p, where);
        Reading& r = c.add(p.id, {}, Amount::of(bottom), where.pose.at, where.pose.at);
        if (bottom < c.rule.setting("never under") - Length::millimetres(0.005))
            r.verdict = Verdict::clash;
    }
}

std::vector<Handle> raiseTo(const Reading& r, double target, const Project& job,
                            const Scene& scene) {
    Tie tie;
    tie.kind = Tie::Kind::height;
    tie.level = Level::bottom;
    return {tieAt(job, scene, r.piece, tie, target)};
}

/// One in the middle of the room: its width against the room's two sides.
void lightRoomSize(const CeilingContext& c) {
    const Box box = c.scene.room->bounds();
    const Vec2 size = box.size();
    const double near = c.rule.number("near the middle");
    for (std::size_t i = 0; i < c.scene.placed.size(); ++i) {
        const Piece& p = c.scene.piece(i);
        const Vec2 at = c.scene.placed[i].pose.at;
        const Vec2 off = at - box.centre();
        if (!p.kind->light || isLetIn(p) || std::abs(off.x) > size.x * near ||
            std::abs(off.y) > size.y * near)
            continue;
        if (const auto over = under(c, at))
            if (isTable(c.scene.floor.piece(*over)) || c.scene.floor.piece(*over).kind->workedAt)
                continue;
        const double inches = std::max(p.size.width, p.size.depth).inInches();
        const double feet = (Length::millimetres(size.x + size.y)).inInches() / 12;
        const Vec2 half{p.size.width.mm() / 2, 0};
        c.add(p.id, {}, Amount::ratio(inches / feet), at - half, at + half);
    }
}

void lightCount(const CeilingContext& c) {
    // Of the kind there are most of: others are for a task here and there.
    std::map<const Kind*, int> ofKind;
    for (std::size_t i = 0; i < c.scene.placed.size(); ++i)
        if (isGeneral(c.scene.piece(i)))
            ++ofKind[c.scene.piece(i).kind.get()];
    int count = 0;
    for (const auto& [kind, n] : ofKind)
        count = std::max(count, n);
    constexpr double foot2 = 304.8 * 304.8; // mm²
    constexpr double metre2 = 1e6;
    // One or two are for a task.
    if (count < 3 || !c.scene.room->closed)
        return;
    const bool metric = c.rule.setting("metric") > Length{};
    const double each = c.scene.room->floorArea() / count / (metric ? metre2 : foot2);
    c.add(0, roomTarget(), {Quantity::count, each}, c.scene.room->middle(), c.scene.room->middle());
}

/// How far from a wall the first line of lights belongs there: over the front of a seat or a
/// counter that stands against it, else as the book has it.
std::optional<Band> edgeBand(const CeilingContext& c, const Wall& wall, Vec2 light) {
    const double along = dot(light - wall.start, wall.along());
    for (std::size_t i = 0; i < c.scene.floor.placed.size(); ++i) {
        const Piece& p = c.scene.floor.piece(i);
        if (!p.kind->isSeat() && !p.kind->workedAt)
            continue;
        const Shape& s = c.scene.floor.placed[i].shape;
        const double back = -extent(s, -wall.inward()) - dot(wall.start, wall.inward());
        const double front = extent(s, wall.inward()) - dot(wall.start, wall.inward());
        const double left = -extent(s, -wall.along()) - dot(wall.start, wall.along());
        const double right = extent(s, wall.along()) - dot(wall.start, wall.along());
        if (back < -1 || back > c.rule.setting("against").mm() || along < left || along > right)
            continue;
        const double slack = c.rule.setting("over the edge").mm();
        return Band{front - slack, front + slack, front, front};
    }
    return {};
}

void lightEdge(const CeilingContext& c) {
    const Room& room = *c.scene.room;
    const double far = c.rule.setting("first line").mm();
    const double inLine = c.rule.setting("in line").mm();
    for (std::size_t w = 0; w < room.walls.size(); ++w) {
        const Wall& wall = room.walls[w];
        double least = far;
        std::vector<std::pair<double, std::size_t>> near;
        for (std::size_t i = 0; i < c.scene.placed.size(); ++i) {
            if (!isGeneral(c.scene.piece(i)))
                continue;
            const Vec2 at = c.scene.placed[i].pose.at;
            const double along = dot(at - wall.start, wall.along());
            const double away = dot(at - wall.start, wall.inward());
            if (along < 0 || along > wall.length().mm() || away <= 0 || away > far)
                continue;
            near.emplace_back(away, i);
            least = std::min(least, away);
        }
        // A light of the line that is over no front may keep the line of one that is.
        std::optional<Band> told;
        for (const auto& [away, i] : near)
            if (away <= least + inLine && !told)
                told = edgeBand(c, wall, c.scene.placed[i].pose.at);
        for (const auto& [away, i] : near) {
            if (away > least + inLine)
                continue;
            const Vec2 at = c.scene.placed[i].pose.at;
            const bool keepsLine =
                told && away >= *told->low - 0.005 && away <= *told->high + 0.005;
            const Band band = edgeBand(c, wall, at).value_or(keepsLine ? *told : c.band);
            Reading& r =
                c.add(c.scene.piece(i).id, wallTarget(static_cast<int>(w)),
                      Amount::of(Length::millimetres(away)), band, at - wall.inward() * away, at);
            r.surface = theCeiling();
        }
    }
}

std::vector<Handle> awayFromOther(const Reading& r, double target, const Project& job,
                                  const Scene& scene) {
    return {moveAway(job, scene, r.piece, r.other, target - r.value.value)};
}

/// Whether whoever stands at a worktop keeps a light off it: the stretch from the light to the work
/// passes through head and shoulders, taken as an upright round post.
bool shadowed(Vec3 light, Vec3 work, Vec2 stands, double radius, double tall) {
    const Vec2 a = work.plan() - stands;
    const Vec2 d = light.plan() - work.plan();
    const double dd = dot(d, d);
    const double b = dot(a, d);
    const double c = dot(a, a) - radius * radius;
    if (dd < 1e-9)
        return false; // straight over the work, which the person is not in
    const double root = b * b - dd * c;
    if (root <= 0)
        return false;
    const double in = (-b - std::sqrt(root)) / dd;
    const double out = (-b + std::sqrt(root)) / dd;
    const double from = std::max(in, 0.0);
    const double to = std::min(out, 1.0);
    // Where it is inside the post's round, is it ever under its top?
    return to > from && work.z + (light.z - work.z) * from < tall;
}

/// At each place of work: how many lights reach the work past the person.
void lightTask(const CeilingContext& c) {
    const Room& room = *c.scene.room;
    const double radius = c.rule.setting("shoulders").mm() / 2;
    const double before = c.rule.setting("stands before").mm();
    const double widest = std::tan(c.rule.number("beam") / 2 * std::numbers::pi / 180);
    bool anyLight = false;
    for (const Piece& p : c.scene.scheme->pieces)
        anyLight = anyLight || p.kind->light;
    if (!anyLight)
        return;
    for (std::size_t i = 0; i < c.scene.floor.placed.size(); ++i) {
        const Piece& p = c.scene.floor.piece(i);
        if (!p.kind->workedAt && p.kind->role != Role::desk)
            continue;
        const Pose& pose = c.scene.floor.placed[i].pose;
        const double half = p.size.depth.mm() / 2;
        const double floor = room.levelAt(pose.at).mm();
        // The hands are in the front half.
        const Vec2 hands = pose.at + pose.front() * (half / 2);
        const Vec3 work{hands.x, hands.y, floor + p.top().mm()};
        const Vec2 stands = pose.at + pose.front() * (half + before);
        const bool sits = p.kind->role == Role::desk;
        const double tall = floor + (sits ? seatedEye(Length::inches(18), statureOf(c.judgement))
                                          : statureOf(c.judgement))
                                        .mm();
        int reach = 0;
        int shaded = 0;
        Vec2 nearest = hands;
        double far = 1e300;
        for (const Piece& l : c.scene.scheme->pieces) {
            const auto body = l.kind->light ? bodyOf(c.scene, l.id) : std::nullopt;
            if (!body || l.id == p.id)
                continue;
            const Vec3 at = body->foot + Vec3{0, 0, l.kind->light->lamp.mm()};
            const double up = at.z - work.z;
            const Vec2 off = at.plan() - work.plan();
            if (up <= 0 || norm(off) > up * widest)
                continue;
            const bool dark = shadowed(at, work, stands, radius, tall);
            (dark ? shaded : reach) += 1;
            if (norm(off) < far) {
                far = norm(off);
                nearest = at.plan();
            }
        }
        Reading& r = c.add(p.id, {}, {Quantity::count, static_cast<double>(reach)}, hands, nearest);
        if (reach == 0 && shaded > 0)
            r.instead = "shadow";
    }
}

/// Two kinds of light in one place.
void lightZones(const CeilingContext& c) {
    for (std::size_t i = 0; i < c.scene.placed.size(); ++i)
        for (std::size_t k = 0; k < c.scene.placed.size(); ++k) {
            const Piece& a = c.scene.piece(i);
            const Piece& b = c.scene.piece(k);
            if (!isLetIn(a) || !isHung(b))
                continue;
            const Vec2 from = c.scene.placed[i].pose.at;
            const Vec2 to = c.scene.placed[k].pose.at;
            const double apart = norm(to - from) - reachAlong(c.scene.placed[k].shape,
                                                              unit(to - from + Vec2{1e-9, 0}));
            if (apart > c.rule.setting("look").mm())
                continue;
            Reading& r = c.add(a.id, pieceTarget(b.id),
                               Amount::of(Length::millimetres(std::max(apart, 0.0))), from, to);
            r.surface = theCeiling();
        }
}

void lightJoists(const CeilingContext& c) {
    const Room& room = *c.scene.room;
    if (!room.joists || room.joists->spacing <= Length{})
        return;
    const Wall& wall = room.walls[static_cast<std::size_t>(room.joists->wall)];
    for (std::size_t i = 0; i < c.scene.placed.size(); ++i) {
        const Piece& p = c.scene.piece(i);
        if (!isLetIn(p))
            continue;
        const Vec2 at = c.scene.placed[i].pose.at;
        const double away = dot(at - wall.start, wall.inward());
        const double first = room.joists->first.mm();
        const double apart = room.joists->spacing.mm();
        const double joist = first + std::max(std::round((away - first) / apart), 0.0) * apart;
        const double clear = std::abs(away - joist) - c.rule.setting("thick").mm() / 2 -
                             p.kind->light->cutOut.mm() / 2;
        Reading& r = c.add(p.id, {}, Amount::of(Length::millimetres(std::max(clear, 0.0))),
                           at + wall.inward() * (joist - away), at);
        r.second = Amount::of(Length::millimetres(std::max(-clear, 0.0)));
        r.surface = theCeiling();
        if (clear < -0.005)
            r.verdict = Verdict::clash;
    }
}

std::vector<Handle> offTheJoist(const Reading& r, double target, const Project& job,
                                const Scene& scene) {
    const auto& joists = scene.room->joists;
    if (!joists)
        return {};
    // Away from it to the side it is on already, or to the other.
    const double by = r.second.value + target + division(job.notation).mm();
    std::vector<Handle> out;
    const Wall& wall = scene.room->walls[static_cast<std::size_t>(joists->wall)];
    const double side = dot(r.at[1] - r.at[0], wall.inward()) >= 0 ? 1 : -1;
    for (const double way : {side, -side})
        out.push_back(moveAway(job, scene, r.piece, wallTarget(joists->wall), by * way));
    return out;
}

/// The foot of a lamp's shade, beside a seat.
void lightShade(const CeilingContext& c) {
    const auto near = c.rule.setting("beside");
    const FloorView& floor = c.scene.floor;
    for (std::size_t i = 0; i < floor.placed.size(); ++i) {
        const Piece& p = floor.piece(i);
        if (p.kind->role != Role::lamp || !p.kind->light || p.kind->light->shade <= Length{})
            continue;
        for (std::size_t k = 0; k < floor.placed.size(); ++k) {
            const Piece& seat = floor.piece(k);
            if (!isLounge(seat))
                continue;
            const Shape& lamp = floor.placed[i].shape;
            const Shape& other = floor.placed[k].shape;
            if (norm(lamp.centre - other.centre) > lamp.reach + other.reach + near.mm())
                continue;
            const Gap g = gapBetween(lamp, other);
            if (g.apart > near)
                continue;
            const double part = p.size.height / p.kind->size.height;
            const Length foot = baseOf(floor, i) + p.kind->light->shade * part;
            Band band = c.band;
            if (baseOf(floor, i) <= Length{}) {
                band.low = c.rule.setting("standing low").mm();
                band.high = c.rule.setting("standing high").mm();
            }
            c.add(p.id, pieceTarget(seat.id), Amount::of(foot), band, g.onFirst, g.onSecond);
        }
    }
}

/// Measured where it is asked for: it needs the distributions of lights (judge/lux.h).
void lightLux(const CeilingContext&) {}
void lightGlare(const CeilingContext&) {}

constexpr auto lightCodes =
    std::array<RuleCode, 15>{{{"pendant-over-table", lightOverTable, hangSoFarOver, false, true},
                              {"pendant-over-island", lightOverIsland, hangSoFarOver, false, true},
                              {"pendant-sight", lightSight, raiseOutOfSight},
                              {"pendant-size", lightSize, otherWidth},
                              {"pendant-spacing", lightSpacing, noHandles},
                              {"fixture-headroom", lightHeadroom, raiseTo},
                              {"fixture-room-size", lightRoomSize, otherWidth},
                              {"recessed-count", lightCount, noHandles},
                              {"recessed-edge", lightEdge, awayFromOther},
                              {"recessed-task", lightTask, noHandles},
                              {"light-zones", lightZones, awayFromOther, true},
                              {"joists", lightJoists, offTheJoist},
                              {"lamp-shade", lightShade, noHandles, false, true},
                              {"illuminance", lightLux, noHandles},
                              {"glare", lightGlare, noHandles}}};

} // namespace

std::span<const RuleCode> lightRules() {
    return lightCodes;
}

} // namespace mezzet
