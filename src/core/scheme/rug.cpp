#include "scheme/rug.h"

#include "geometry/polygon.h"
#include "geometry/regions.h"
#include "measure/texts.h"

#include <algorithm>
#include <cmath>
#include <numbers>

namespace mezzet {

const RugWork& rugOf(const Piece& p) {
    static const RugWork nothing;
    return p.rug ? *p.rug : nothing;
}

void tellRug(Piece& p, RugWork work) {
    p.rug = work == RugWork{} ? nullptr : std::make_shared<const RugWork>(std::move(work));
}

Piece unrolled(const Piece& p, Length developed) {
    Piece out = p;
    out.size.width = developed;
    return out;
}

const Fixture* stairsUnder(const Room& room, const RugWork& work) {
    Target t;
    t.is = Target::Is::fixture;
    t.built = FixtureKind::stairs;
    t.index = work.stairs;
    return fixtureOf(room, t);
}

StairRunner runnerOn(const Piece& p, const Fixture& stairs, Length nosing) {
    StairRunner s;
    s.riser = stairs.riser;
    s.going = stairs.going;
    s.risers = stairs.risers;
    s.nosing = nosing;
    s.width = p.size.depth;
    s.breaks = rugOf(p).breaks;
    s.capped = rugOf(p).capped;
    s.pile = p.size.height;
    return s;
}

namespace {

/// What is told of a rug, made free of its room and changed.
template <class Change> void freed(Piece& p, Change change) {
    if (!p.rug)
        return;
    auto work = std::make_shared<RugWork>(*p.rug);
    work->fit.reset();
    change(*work);
    p.rug = std::move(work);
}

} // namespace

void dropFit(Piece& p) {
    freed(p, [](RugWork& work) { work.offStairs(); });
}

void stretchOutline(Piece& p, double across, double along) {
    freed(p, [&](RugWork& work) {
        for (Vec2& c : work.outline)
            c = {c.x * across, c.y * along};
    });
}

void mirrorRug(Piece& p) {
    freed(p, [](RugWork& work) {
        work.offStairs();
        for (Vec2& c : work.outline)
            c.x = -c.x;
        // Of a rectangle the second edge is the right one, and the fourth the left.
        if (work.outline.empty())
            for (RugEdge& e : work.edges)
                e.edge = e.edge == 2 ? 4 : e.edge == 4 ? 2 : e.edge;
    });
}

bool isCut(const Piece& p) {
    return p.rug && !p.rug->outline.empty();
}

Length padUnder(const Piece& p, Length usual) {
    return rugOf(p).pad.value_or(usual);
}

std::vector<Vec2> trueOutline(const Piece& p, const Pose& pose, Length tolerance) {
    std::vector<Vec2> out;
    if (isCut(p)) {
        for (const Vec2 c : p.rug->outline)
            out.push_back(pose.toRoom(c));
        return out;
    }
    if (p.footprint.form == FootprintForm::rectangle && p.footprint.corner <= Length{}) {
        const double w = p.size.width.mm() / 2;
        const double d = p.size.depth.mm() / 2;
        for (const Vec2 c : {Vec2{-w, -d}, Vec2{w, -d}, Vec2{w, d}, Vec2{-w, d}})
            out.push_back(pose.toRoom(c));
        return out;
    }
    return outline(placed(p.shape(), pose), tolerance);
}

std::vector<RugSide> sidesOf(const Piece& p, const Pose& pose) {
    const auto corners = trueOutline(p, pose);
    if (corners.empty())
        return {};
    const bool straight = isCut(p) || (p.footprint.form == FootprintForm::rectangle &&
                                       p.footprint.corner <= Length{});
    if (!straight)
        return {{corners.front(), corners.front(), perimeterOf(p)}};
    std::vector<RugSide> out;
    for (std::size_t i = 0; i < corners.size(); ++i) {
        const Vec2 to = corners[(i + 1) % corners.size()];
        out.push_back({corners[i], to, distance(corners[i], to)});
    }
    return out;
}

bool covers(const Piece& p, const Shape& placedAt, const Pose& pose, Vec2 at) {
    if (!contains(placedAt, at))
        return false;
    return !isCut(p) || insideOutline(p.rug->outline, pose.toLocal(at));
}

std::optional<OutOfRoom> outOfRoom(const Room& room, const std::vector<Vec2>& outline) {
    constexpr double contact = 0.01; // mm
    if (!room.closed)
        return {};
    OutOfRoom worst;
    const auto offer = [&](double by, std::size_t edge, Vec2 at, Vec2 inside) {
        if (by > worst.by)
            worst = {by, room.edgeWall[edge], at, inside};
    };
    const auto nearest = [](const std::vector<Vec2>& ring, Vec2 p) {
        std::pair<std::size_t, Vec2> best{0, ring.front()};
        double least = 1e300;
        for (std::size_t i = 0; i < ring.size(); ++i) {
            const Vec2 on = nearestOn({ring[i], ring[(i + 1) % ring.size()]}, p);
            if (norm(on - p) < least) {
                least = norm(on - p);
                best = {i, on};
            }
        }
        return best;
    };
    for (const Vec2 p : outline)
        if (!insideOutline(room.edge, p)) {
            const auto [edge, on] = nearest(room.edge, p);
            offer(norm(on - p), edge, p, on);
        }
    for (std::size_t i = 0; i < room.edge.size(); ++i)
        if (const Vec2 p = room.edge[i]; insideOutline(outline, p)) {
            const auto [edge, on] = nearest(outline, p);
            offer(norm(on - p), i, on, p);
        }
    return worst.by > contact ? std::optional(worst) : std::nullopt;
}

double areaOf(const Piece& p) {
    if (!isCut(p) && p.footprint.form == FootprintForm::oval)
        return std::numbers::pi / 4 * p.size.width.mm() * p.size.depth.mm();
    return std::abs(signedArea(trueOutline(p, {}, Length::millimetres(0.001))));
}

Length perimeterOf(const Piece& p) {
    if (!isCut(p) && p.footprint.form == FootprintForm::oval) {
        const double a = std::max(p.size.width, p.size.depth).mm() / 2;
        const double b = std::min(p.size.width, p.size.depth).mm() / 2;
        return Length::millimetres(4 * a * std::comp_ellint_2(std::sqrt(1 - b * b / (a * a))));
    }
    const auto corners = trueOutline(p, {}, Length::millimetres(0.001));
    Length sum;
    for (std::size_t i = 0; i < corners.size(); ++i)
        sum = sum + distance(corners[i], corners[(i + 1) % corners.size()]);
    return sum;
}

std::optional<Problem> giveCorners(Piece& p, const std::vector<Vec2>& corners) {
    if (corners.size() < 3 || corners.size() > mostOutlineCorners)
        return Problem{worded("an outline has 3 to {} corners, and {} are said", mostOutlineCorners,
                              corners.size()),
                       "say them like: corners at 24, 24; 120, 24; 120, 60; 24, 60"};
    if (const auto cross = selfCrossing(corners))
        return Problem{worded("the outline crosses itself: edge {} meets edge {}", cross->first + 1,
                              cross->second + 1),
                       "say the corners in the order one walks round it"};
    if (std::abs(signedArea(corners)) < 100)
        return Problem{"the outline holds nothing", "its corners lie in a line"};
    Box box;
    for (const Vec2 c : corners)
        box.include(c);
    const Vec2 middle = box.centre();
    RugWork work = rugOf(p);
    work.outline.clear();
    for (const Vec2 c : corners)
        work.outline.push_back(c - middle);
    p.pose = {middle, {}};
    p.size.width = Length::millimetres(box.size().x);
    p.size.depth = Length::millimetres(box.size().y);
    p.footprint = {};
    tellRug(p, std::move(work));
    return {};
}

namespace {

/// A stretch along a wall a rug is to end before, and how far into the room it reaches.
struct Before {
    int wall = 0;
    double from = 0; ///< mm along the wall
    double to = 0;
    double deep = 0; ///< mm
};

std::optional<Before> beforeOf(const Room& room, const Target& t, bool swing) {
    for (const Opening& o : room.openings) {
        if (targetOf(o) != t)
            continue;
        Before b{o.wall, o.left.mm(), (o.left + o.width).mm(), 0};
        if (!swing)
            return b;
        const auto leaf = doorSwing(room, o);
        if (!leaf)
            return {};
        const Wall& w = room.walls[static_cast<std::size_t>(o.wall)];
        b.from = -extent(*leaf, -w.along()) - dot(w.start, w.along());
        b.to = extent(*leaf, w.along()) - dot(w.start, w.along());
        b.deep = extent(*leaf, w.inward()) - dot(w.start, w.inward());
        return b;
    }
    return {};
}

/// How far a line from a point goes inside an outline.
double reachInside(const std::vector<Vec2>& outline, Vec2 from, Vec2 way) {
    for (const double c : crossingsAlong(outline, from, way))
        if (c > 0.01)
            // The first that leaves it: the line may begin outside, in the border.
            if (!insideOutline(outline, from + way * (c + 0.01)))
                return c;
    return 0;
}

/// What is left of a rug that ends on the line across the floor at one jamb: all that does not lie
/// before the opening, in one piece with the largest part.
std::vector<Vec2> endedAt(const std::vector<Vec2>& whole, const Wall& w, double jamb,
                          double opening) {
    const Vec2 foot = w.start + w.along() * jamb;
    const double deep = reachInside(whole, foot, w.inward());
    if (deep <= 0)
        return {};
    // A cut no wider than a hair's breadth, on the opening's side of the line.
    constexpr double slit = 0.002; // mm
    const Vec2 aside = w.along() * (opening > jamb ? slit : -slit);
    const Vec2 end = foot + w.inward() * (deep + 1);
    const auto parts =
        without(whole, {{foot - w.inward(), end, end + aside, foot - w.inward() + aside}});
    for (const Region& r : parts) {
        // Not the part before the opening.
        const Vec2 before = w.start + w.along() * (jamb + (opening > jamb ? 5 : -5));
        bool ahead = false;
        for (double d = 5; d < deep && !ahead; d += 10)
            ahead = insideOutline(r.edge, before + w.inward() * d);
        if (!ahead)
            return r.edge;
    }
    return {};
}

} // namespace

std::optional<Problem> cutToFit(Piece& p, const Room& room, std::vector<std::string>& told) {
    const RugWork& work = rugOf(p);
    if (!work.fit)
        return Problem{worded("{} is not cut to the room", p.name), "say it like: cut to the room"};
    const RugFit fit = *work.fit;
    RoomCut cut;
    cut.offWall.assign(room.walls.size(), fit.border);
    cut.offFixture.assign(room.fixtures.size(), fit.border);
    cut.offHearth = cut.offFixture;
    for (const RugFit::Off& o : fit.off) {
        if (o.of.is == Target::Is::wall) {
            if (o.of.index < 0 || o.of.index >= static_cast<int>(room.walls.size()))
                return Problem{"a wall the rug keeps off is not there", "name one of the room"};
            cut.offWall[static_cast<std::size_t>(o.of.index)] = o.by;
            continue;
        }
        const Fixture* f = fixtureOf(room, o.of);
        if (f == nullptr)
            return Problem{"something the rug keeps off is not there", "name one of the room"};
        const auto i = static_cast<std::size_t>(f - room.fixtures.data());
        cut.offHearth[i] = o.by;
        if (f->hearthDepth <= Length{})
            cut.offFixture[i] = o.by;
    }
    // At the end of a hall it goes up to the line of the wall; else it ends across the floor.
    const auto whole = cutToRoom(room, cut, told);
    if (!whole)
        return whole.problem();
    std::vector<Before> across;
    bool again = false;
    for (const auto& [list, swing] : {std::pair{&fit.ends, false}, std::pair{&fit.clear, true}})
        for (const Target& t : *list) {
            const auto b = beforeOf(room, t, swing);
            if (!b) {
                if (swing) {
                    told.emplace_back("that door swings over no floor here: nothing is kept clear "
                                      "of it");
                    continue;
                }
                return Problem{"an opening the rug ends at is not there", "name one of the room"};
            }
            const Wall& w = room.walls[static_cast<std::size_t>(b->wall)];
            const Vec2 middle = w.start + w.along() * ((b->from + b->to) / 2);
            if (reachInside(room.edge, middle, w.inward()) > w.length().mm()) {
                cut.offWall[static_cast<std::size_t>(b->wall)] = Length::millimetres(b->deep);
                again = true;
            } else {
                across.push_back(*b);
            }
        }
    std::vector<Vec2> corners = *whole;
    if (again) {
        std::vector<std::string> said;
        const auto more = cutToRoom(room, cut, said);
        if (!more)
            return more.problem();
        corners = *more;
    }
    for (const Before& b : across) {
        const Wall& w = room.walls[static_cast<std::size_t>(b.wall)];
        std::vector<Vec2> best;
        for (const auto& [jamb, opening] : {std::pair{b.from, b.to}, std::pair{b.to, b.from}}) {
            auto part = endedAt(corners, w, jamb, opening);
            if (!part.empty() && (best.empty() || signedArea(part) > signedArea(best) + 1))
                best = std::move(part);
        }
        if (best.empty())
            return Problem{worded("nothing is left of {} where it is to end", p.name),
                           "name another opening"};
        corners = std::move(best);
    }
    const Vec2 origin = room.walls.front().start;
    std::rotate(corners.begin(),
                std::min_element(corners.begin(), corners.end(),
                                 [&](const Vec2& a, const Vec2& b) {
                                     return norm(a - origin) < norm(b - origin) - 1e-6;
                                 }),
                corners.end());
    if (auto bad = giveCorners(p, corners))
        return bad;
    p.ties.clear();
    return {};
}

} // namespace mezzet
