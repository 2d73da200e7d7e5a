#include "judge/rug_facts.h"

#include "geometry/gap.h"
#include "geometry/polygon.h"
#include "judge/at_table.h"
#include "judge/floor_ways.h"
#include "measure/texts.h"
#include "rugs/stair_runner.h"
#include "scheme/rug.h"
#include "ways/path.h"

#include <algorithm>
#include <cmath>

namespace mezzet {

namespace {

constexpr double touch = 0.005; // mm

/// The part of a stretch that lies inside a convex outline given clockwise; none where it only
/// touches it.
bool passesThrough(Segment s, const std::vector<Vec2>& convex) {
    double from = 0;
    double to = 1;
    const Vec2 way = s.to - s.from;
    for (std::size_t i = 0; i < convex.size(); ++i) {
        const Vec2 a = convex[i];
        const Vec2 n = quarter(convex[(i + 1) % convex.size()] - a); // inward
        const double at = dot(s.from - a, n);
        const double step = dot(way, n);
        if (std::abs(step) < 1e-12) {
            if (at <= 0)
                return false;
            continue;
        }
        const double t = -at / step;
        if (step > 0)
            from = std::max(from, t);
        else
            to = std::min(to, t);
    }
    return (to - from) * norm(way) > 1e-6;
}

std::vector<Vec2> shrunk(const std::vector<Vec2>& convex, double by) {
    Vec2 middle;
    for (const Vec2 p : convex)
        middle = middle + p / static_cast<double>(convex.size());
    std::vector<Vec2> out;
    for (const Vec2 p : convex) {
        const Vec2 off = p - middle;
        out.push_back(norm(off) > by ? p - unit(off) * by : middle);
    }
    return out;
}

double fromOutline(const std::vector<Vec2>& outline, Vec2 p) {
    if (insideOutline(outline, p))
        return 0;
    double least = 1e300;
    for (std::size_t i = 0; i < outline.size(); ++i) {
        const Vec2 a = outline[i];
        const Vec2 way = outline[(i + 1) % outline.size()] - a;
        const double length = dot(way, way);
        const double t = length > 0 ? std::clamp(dot(p - a, way) / length, 0.0, 1.0) : 0;
        least = std::min(least, norm(p - a - way * t));
    }
    return least;
}

/// Each leg's four corners about the seat's own middle, clockwise.
std::vector<std::vector<Vec2>> legsOf(const Piece& p, double leg) {
    const double w = p.size.width.mm() / 2;
    const double d = p.size.depth.mm() / 2;
    std::vector<std::vector<Vec2>> out;
    const auto square = [&](Vec2 low, Vec2 high) {
        out.push_back({low, {high.x, low.y}, high, {low.x, high.y}});
    };
    if (!p.kind->legs.empty()) {
        // As its size has changed, so have they; and none stands out of it.
        const Size& usual = p.kind->size;
        const auto at = [&](double of, double from, double half) {
            const double least = std::min(leg / 2, half);
            return std::clamp(of / from * 2 * half - half, -half + least, half - least);
        };
        for (const Vec2 l : p.kind->legs) {
            const Vec2 middle{at(l.x, usual.width.mm(), w), at(l.y, usual.depth.mm(), d)};
            square(middle - Vec2{leg / 2, leg / 2}, middle + Vec2{leg / 2, leg / 2});
        }
        return out;
    }
    for (const Vec2 side : {Vec2{-1, -1}, Vec2{1, -1}, Vec2{1, 1}, Vec2{-1, 1}}) {
        Vec2 outer{side.x * w, side.y * d};
        if (p.footprint.form == FootprintForm::oval)
            outer = outer * std::sqrt(0.5);
        // An L has no corner before its body.
        if (p.footprint.form == FootprintForm::ell && side.y > 0 &&
            (side.x > 0) != p.footprint.armOnRight)
            outer.y = -d + p.footprint.bodyDepth.mm();
        const Vec2 inner = outer - Vec2{side.x * leg, side.y * leg};
        square({std::min(outer.x, inner.x), std::min(outer.y, inner.y)},
               {std::max(outer.x, inner.x), std::max(outer.y, inner.y)});
    }
    return out;
}

} // namespace

std::string_view howWord(SeatOnRug::How how) {
    switch (how) {
    case SeatOnRug::How::none:
        return "none";
    case SeatOnRug::How::some:
        return "some";
    case SeatOnRug::How::front:
        return "front";
    case SeatOnRug::How::all:
        return "all";
    }
    return "none";
}

bool liesOn(const std::vector<Vec2>& outline, std::vector<Vec2> convex) {
    if (signedArea(convex) < 0)
        std::reverse(convex.begin(), convex.end());
    convex = shrunk(convex, touch);
    for (const Vec2 p : convex)
        if (!insideOutline(outline, p))
            return false;
    for (std::size_t i = 0; i < outline.size(); ++i)
        if (passesThrough({outline[i], outline[(i + 1) % outline.size()]}, convex))
            return false;
    return true;
}

double reachWithin(const std::vector<Vec2>& outline, Vec2 from, Vec2 way) {
    for (const double c : crossingsAlong(outline, from, way))
        if (c > -touch)
            return std::max(0.0, c);
    return 0;
}

SeatOnRug seatOnRug(const Piece& seat, const Pose& pose, const std::vector<Vec2>& rug, Length leg,
                    Length front) {
    SeatOnRug out;
    out.seat = seat.id;
    std::vector<Vec2> own;
    own.reserve(rug.size());
    for (const Vec2 p : rug)
        own.push_back(pose.toLocal(p));
    if (signedArea(own) < 0)
        std::reverse(own.begin(), own.end());
    const auto legs = legsOf(seat, leg.mm());
    out.legs = static_cast<int>(legs.size());
    for (const auto& l : legs)
        out.legsOn += liesOn(own, l) ? 1 : 0;
    const double w = seat.size.width.mm() / 2;
    const double d = seat.size.depth.mm() / 2;
    const auto strip = [&](double deep) {
        return std::vector<Vec2>{{-w, d - deep}, {w, d - deep}, {w, d}, {-w, d}};
    };
    constexpr double sliver = 0.1; // mm
    if (!liesOn(own, strip(sliver))) {
        double off = 0;
        for (const double x : {-w, 0.0, w})
            off = std::max(off, fromOutline(own, {x, d}));
        out.depth = -off;
    } else {
        // The first of its outline one meets from the front edge back.
        double back = -d;
        for (std::size_t i = 0; i < own.size(); ++i) {
            Vec2 a = own[i];
            Vec2 b = own[(i + 1) % own.size()];
            if (a.x > b.x)
                std::swap(a, b);
            const double from = std::max(a.x, -w + touch);
            const double to = std::min(b.x, w - touch);
            if (from > to)
                continue;
            for (const double x : {from, to}) {
                const double y = b.x - a.x > 1e-9 ? a.y + (b.y - a.y) * (x - a.x) / (b.x - a.x)
                                                  : std::max(a.y, b.y);
                if (y < d - sliver / 2)
                    back = std::max(back, y);
            }
        }
        out.depth = d - back;
    }
    if (out.legsOn == out.legs)
        out.how = SeatOnRug::How::all;
    else if (liesOn(own, strip(std::min(front.mm(), 2 * d))))
        out.how = SeatOnRug::How::front;
    else if (out.legsOn > 0)
        out.how = SeatOnRug::How::some;
    return out;
}

std::vector<SeatOnRug> seatsOnRug(const FloorView& scene, const std::vector<Vec2>& rug, Length leg,
                                  Length front, Length atTable) {
    std::vector<SeatOnRug> out;
    for (std::size_t i = 0; i < scene.placed.size(); ++i) {
        const Piece& p = scene.piece(i);
        const bool counted = isLounge(p) || (p.kind->role == Role::diningChair &&
                                             tableOf(scene, i, atTable).has_value());
        if (counted)
            out.push_back(seatOnRug(p, scene.placed[i].pose, rug, leg, front));
    }
    return out;
}

bool standsOn(const Shape& s, const Piece& rug, const Placed& where) {
    if (gapBetween(s, where.shape).depth <= Length{})
        return false;
    if (!isCut(rug))
        return true;
    const auto corners = trueOutline(rug, where.pose);
    const auto own = outline(s, Length::millimetres(1));
    for (const Vec2 p : own)
        if (insideOutline(corners, p))
            return true;
    for (const Vec2 p : corners)
        if (contains(s, p))
            return true;
    for (std::size_t i = 0; i < corners.size(); ++i)
        for (std::size_t k = 0; k < own.size(); ++k)
            if (crossing({corners[i], corners[(i + 1) % corners.size()]},
                         {own[k], own[(k + 1) % own.size()]}))
                return true;
    return false;
}

bool isLayered(const FloorView& scene, std::size_t rug) {
    const Piece& own = scene.piece(rug);
    const auto corners = trueOutline(own, scene.placed[rug].pose, Length::millimetres(1));
    for (std::size_t i = 0; i < scene.placed.size(); ++i) {
        const Piece& other = scene.piece(i);
        if (i == rug || !other.kind->flat() || areaOf(other) <= areaOf(own))
            continue;
        const auto under = trueOutline(other, scene.placed[i].pose, Length::millimetres(1));
        if (std::all_of(corners.begin(), corners.end(),
                        [&](Vec2 p) { return insideOutline(under, p); }))
            return true;
    }
    return false;
}

std::vector<std::vector<Vec2>> mainLines(const FloorView& scene, const FloorWays& ways,
                                         Length half) {
    const Room& room = *scene.room;
    std::vector<std::vector<Vec2>> out;
    std::vector<std::size_t> doors;
    for (std::size_t i = 0; i < room.openings.size(); ++i)
        if (isWayIn(room.openings[i]))
            doors.push_back(i);
    if (!room.closed || doors.size() < 2)
        return out;
    // Coarse: what is asked is where feet go, to within a hand.
    constexpr Length cell = Length::millimetres(150);
    const auto before = [&](std::size_t door) {
        const Opening& o = room.openings[door];
        const Wall& w = room.walls[static_cast<std::size_t>(o.wall)];
        return w.at(o.left + o.width / 2) + w.inward() * half.mm();
    };
    for (std::size_t x = 0; x < doors.size(); ++x)
        for (std::size_t y = x + 1; y < doors.size(); ++y) {
            const Vec2 from = before(doors[x]);
            const Vec2 to = before(doors[y]);
            const Shape line = stretch({from, to});
            const auto& blocks = ways.finder.blocks();
            const bool clear = std::none_of(blocks.begin(), blocks.end(), [&](const Block& b) {
                Shape s;
                s.count = 1;
                s.parts[0] = b.shape;
                s.centre = insideOf(b.shape);
                s.reach = reachOf(b.shape);
                return gapBetween(line, s).apart < half * 0.5 &&
                       !b.isFrameOf(static_cast<int>(doors[x])) &&
                       !b.isFrameOf(static_cast<int>(doors[y]));
            });
            auto path = clear ? std::vector<Vec2>{from, to}
                              : drawnPath({&blocks, {}, from, to, half * 0.5, cell});
            if (path.size() > 1)
                out.push_back(std::move(path));
        }
    return out;
}

namespace {

/// Where seams would be walked on, in a cut's own frame.
void keepOut(const FloorView& scene, const RuleBook& book,
             const std::vector<std::vector<Vec2>>& ways, RugCutOff& c) {
    constexpr double step = 200; // mm: how finely a slanting way is boxed
    const Rule* trips = book.byId("rug-trip");
    const double trod = trips != nullptr ? trips->setting("trod").mm() : 0;
    const double deep = trips != nullptr ? trips->setting("stepped on").mm() : 0;
    const auto own = [&](Vec2 p) {
        return Vec2{dot(p - c.origin, c.across), dot(p - c.origin, c.along)};
    };
    const Room& room = *scene.room;
    for (const Opening& o : room.openings) {
        if (!isWayIn(o))
            continue;
        const Wall& w = room.walls[static_cast<std::size_t>(o.wall)];
        Box b;
        for (const Length at : {o.left, o.left + o.width})
            for (const double in : {-deep, deep})
                b.include(own(w.at(at) + w.inward() * in));
        c.cut.noSeam.push_back(b);
    }
    for (const auto& line : ways)
        for (std::size_t i = 0; i + 1 < line.size(); ++i) {
            const Vec2 way = line[i + 1] - line[i];
            const int parts = std::max(1, static_cast<int>(std::ceil(norm(way) / step)));
            for (int k = 0; k < parts; ++k) {
                Box b;
                for (const double t : {double(k) / parts, double(k + 1) / parts}) {
                    const Vec2 p = own(line[i] + way * t);
                    b.include(p - Vec2{trod, trod});
                    b.include(p + Vec2{trod, trod});
                }
                c.cut.noSeam.push_back(b);
            }
        }
}

} // namespace

Result<std::vector<RugCutOff>> rugsToCut(const FloorView& scene, const RuleBook& book) {
    std::vector<RugCutOff> out;
    const bool any = std::any_of(scene.placed.begin(), scene.placed.end(), [&](const Placed& p) {
        return scene.scheme->byId(p.id)->kind->flat();
    });
    if (!any)
        return out;
    const Rule* trips = book.byId("rug-trip");
    const Length half = trips != nullptr ? trips->setting("half a way") : Length{};
    const auto ways = mainLines(scene, floorWays(scene, {half * 2, false, {}, {}}), half);
    for (std::size_t i = 0; i < scene.placed.size(); ++i) {
        const Piece& p = scene.piece(i);
        if (!p.kind->flat() || rugOf(p).ready)
            continue;
        const Pose& pose = scene.placed[i].pose;
        RugCutOff c;
        c.rug = p.id;
        c.cut.name = p.name;
        if (rugOf(p).stairs > 0) {
            const Fixture* it = stairsUnder(*scene.room, rugOf(p));
            if (it == nullptr)
                return Problem{worded("{} lies on stairs that are not there", p.name),
                               "add them to the tape notes"};
            c.runner = runnerOn(p, *it, book.habit("stair-nosing"));
            const auto measured = measureRunner(*c.runner);
            if (!measured)
                return measured.problem();
            c.cut.across = p.size.depth;
            c.cut.along = measured->length;
            c.cut.ends = measured->joins;
            out.push_back(std::move(c));
            continue;
        }
        // Along the longer side; turned, and never mirrored: the pile is on one face only.
        const bool alongWidth = (p.size.width >= p.size.depth) != rugOf(p).pileAcross;
        const double w = p.size.width.mm();
        const double d = p.size.depth.mm();
        if (alongWidth) {
            c.cut.across = p.size.depth;
            c.cut.along = p.size.width;
            c.origin = pose.toRoom({-w / 2, d / 2});
            c.across = pose.toRoom({-w / 2, d / 2 - 1}) - c.origin;
            c.along = pose.toRoom({-w / 2 + 1, d / 2}) - c.origin;
        } else {
            c.cut.across = p.size.width;
            c.cut.along = p.size.depth;
            c.origin = pose.toRoom({-w / 2, -d / 2});
            c.across = pose.toRoom({-w / 2 + 1, -d / 2}) - c.origin;
            c.along = pose.toRoom({-w / 2, -d / 2 + 1}) - c.origin;
        }
        const bool plain = !isCut(p) && p.footprint.form == FootprintForm::rectangle &&
                           p.footprint.corner <= Length{};
        if (!plain)
            for (const Vec2 q : trueOutline(p, pose))
                c.cut.outline.push_back({dot(q - c.origin, c.across), dot(q - c.origin, c.along)});
        keepOut(scene, book, ways, c);
        out.push_back(std::move(c));
    }
    return out;
}

RollAsk rollAsk(const RuleBook& book, Notation shown) {
    RollAsk ask;
    ask.allowance = book.habit("cut-allowance");
    ask.seams = true;
    ask.shown = shown;
    return ask;
}

std::vector<Segment> seamsOnFloor(const FloorView& scene, const RugBook& book,
                                  const RuleBook& rules) {
    std::vector<Segment> out;
    const RollAsk ask = rollAsk(rules, {});
    const Length widest = *std::max_element(book.rolls.begin(), book.rolls.end());
    const auto tooWide = [&](const Piece& p) {
        const Length across = rugOf(p).pileAcross ? std::max(p.size.width, p.size.depth)
                                                  : std::min(p.size.width, p.size.depth);
        return p.kind->flat() && !rugOf(p).ready && rugOf(p).stairs == 0 &&
               across + ask.allowance * 2 > widest;
    };
    bool any = false;
    for (std::size_t i = 0; i < scene.placed.size(); ++i)
        any = any || tooWide(scene.piece(i));
    if (!any)
        return out;
    const auto cuts = rugsToCut(scene, rules);
    if (!cuts)
        return out;
    for (const RugCutOff& c : *cuts) {
        if (!c.onFloor() || !tooWide(*scene.scheme->byId(c.rug)))
            continue;
        const auto plans = layOnRolls({c.cut}, ask, book.rolls);
        if (!plans)
            continue;
        const auto best = std::min_element(
            plans->begin(), plans->end(),
            [](const RollPlan& a, const RollPlan& b) { return a.seams.size() < b.seams.size(); });
        for (const RollSeam& s : best->seams)
            out.push_back({c.toFloor(s.from), c.toFloor(s.to)});
    }
    return out;
}

double RollGroup::price(const RollPlan& plan, const RugBook& book) const {
    const RugMaterial* m = book.materialById(material);
    return m != nullptr
               ? std::round(plan.width.mm() * plan.length.mm() / 1e6 * m->price * 100) / 100
               : 0;
}

std::vector<RollGroup> rollGroups(const Scheme& scheme, const std::vector<RugCutOff>& cuts) {
    std::vector<RollGroup> out;
    for (std::size_t i = 0; i < cuts.size(); ++i) {
        const RugWork& w = rugOf(*scheme.byId(cuts[i].rug));
        const auto it = std::find_if(out.begin(), out.end(), [&](const RollGroup& g) {
            return g.material == w.material && g.repeat == w.repeat && g.drop == w.drop;
        });
        if (it == out.end())
            out.push_back({w.material, {i}, w.repeat, w.drop});
        else
            it->cuts.push_back(i);
    }
    return out;
}

Result<std::vector<RollPlan>> plansOf(const RollGroup& group, const std::vector<RugCutOff>& cuts,
                                      RollAsk ask, const std::vector<Length>& widths, bool said) {
    std::vector<RollCut> own;
    for (const std::size_t i : group.cuts)
        own.push_back(cuts[i].cut);
    ask.repeat = group.repeat;
    ask.drop = group.drop;
    Result<std::vector<RollPlan>> out = std::vector<RollPlan>{};
    if (said)
        for (const Length w : widths) {
            ask.width = w;
            auto plan = layOnRoll(own, ask);
            if (!plan)
                return plan.problem();
            out->push_back(std::move(*plan));
        }
    else
        out = layOnRolls(own, ask, widths);
    if (!out)
        return out;
    // As they are counted among all that is cut.
    for (RollPlan& plan : *out) {
        for (RollPart& p : plan.parts)
            p.cut = group.cuts[p.cut];
        for (RollSeam& s : plan.seams)
            s.cut = group.cuts[s.cut];
    }
    return out;
}

std::vector<RugSidePrice> pricedSides(const Piece& p, const Pose& pose, const RugBook& book) {
    std::vector<RugSidePrice> out;
    int n = 0;
    for (const RugSide& s : sidesOf(p, pose)) {
        ++n;
        // Up stairs its two long edges show, and its ends are tucked under.
        const bool bound = isCut(p) || (rugOf(p).stairs > 0 && !rugOf(p).ready && n % 2 == 1);
        RugSidePrice one{s.from, s.to, s.length, bound ? "binding" : "", {}, 0};
        Length tape;
        for (const RugEdge& e : rugOf(p).edges)
            if (e.edge == 0 || e.edge == n) {
                one.finish = e.finish;
                tape = e.width;
            }
        if (const RugEdging* finish = book.edgeById(one.finish)) {
            one.tape = tape > Length{} ? tape : finish->tape;
            // A wider tape takes as much more.
            const double wider =
                finish->tape > Length{} && tape > Length{} ? tape / finish->tape : 1.0;
            one.price = std::round(s.length.mm() / 1000 * finish->price * wider * 100) / 100;
        }
        out.push_back(std::move(one));
    }
    return out;
}

int mitres(const std::vector<RugSidePrice>& sides) {
    int out = 0;
    for (std::size_t i = 0; sides.size() > 2 && i < sides.size(); ++i)
        out += sides[i].tape > Length{} && sides[(i + 1) % sides.size()].tape > Length{} ? 1 : 0;
    return out;
}

} // namespace mezzet
