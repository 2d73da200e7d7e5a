#include "scheme/surfaces.h"

#include "measure/text.h"
#include "measure/texts.h"
#include "scheme/on_wall.h"

#include <algorithm>
#include <cmath>

namespace mezzet {

namespace {

constexpr Vec3 up{0, 0, 1};

Vec3 level(Vec2 p, double z = 0) {
    return {p.x, p.y, z};
}

/// A surface's x and y turned with what stands on it.
Vec3 mixed(const Vec3& x, const Vec3& y, Vec2 by) {
    return x * by.x + y * by.y;
}

std::vector<Vec2> cornersOf(const Box& b) {
    return {b.low, {b.high.x, b.low.y}, b.high, {b.low.x, b.high.y}};
}

/// How far the room reaches before a wall.
Length depthBefore(const Room& room, const Wall& w) {
    double most = 0;
    for (const Vec2 p : room.edge)
        most = std::max(most, dot(p - w.start, w.inward()));
    return Length::millimetres(most);
}

} // namespace

std::optional<Body> bodyOf(const Scene& scene, int id) {
    const Piece* p = scene.pieceById(id);
    const Placed* where = scene.byId(id);
    if (p == nullptr || where == nullptr)
        return {};
    const Room& room = *scene.room;
    const Pose& pose = where->pose;
    switch (p->on.is) {
    case SurfaceId::Is::floor: {
        double z = room.levelAt(pose.at).mm();
        if (p->kind->standsOn())
            for (std::size_t i = 0; i < scene.floor.pieces.size(); ++i)
                if (scene.floor.placed[i].id == id)
                    z += baseOf(scene, i).mm();
        return Body{level(pose.at, z), level(pose.right()), level(pose.front())};
    }
    case SurfaceId::Is::ceiling:
        return Body{level(pose.at, (room.ceilingAt(pose.at) - where->off - p->size.height).mm()),
                    level(pose.right()), level(pose.front())};
    case SurfaceId::Is::wall: {
        const Wall& w = room.walls[static_cast<std::size_t>(p->wall())];
        const Box b = bounds(where->shape);
        const Length out = faceOut(room, p->wall(), b.low.x, b.high.x) + p->size.depth / 2;
        return Body{level(offWall(w, pose.at.x, out), room.levelAt(w.start).mm() + b.low.y),
                    level(w.along()), level(w.inward())};
    }
    case SurfaceId::Is::opening:
    case SurfaceId::Is::top: {
        const auto on = surfaceOf(scene, p->on);
        if (!on)
            return {};
        return Body{on->at(pose.at), mixed(on->x, on->y, pose.right()),
                    mixed(on->x, on->y, pose.front())};
    }
    }
    return {};
}

std::optional<Surface> surfaceOf(const Scene& scene, SurfaceId id) {
    const Room& room = *scene.room;
    Surface out;
    out.id = id;
    switch (id.is) {
    case SurfaceId::Is::floor:
        out.x = {1, 0, 0};
        out.y = {0, 1, 0};
        out.normal = up;
        out.outline = room.edge;
        out.clear = room.ceiling;
        return out;
    case SurfaceId::Is::ceiling:
        out.origin = up * room.ceiling.mm();
        out.x = {1, 0, 0};
        out.y = {0, 1, 0};
        out.normal = up * -1;
        out.outline = room.edge;
        out.clear = room.ceiling;
        return out;
    case SurfaceId::Is::wall: {
        if (id.index < 0 || id.index >= static_cast<int>(room.walls.size()))
            return {};
        const Wall& w = room.walls[static_cast<std::size_t>(id.index)];
        out.origin = level(w.start, room.levelAt(w.start).mm());
        out.x = level(w.along());
        out.y = up;
        out.normal = level(w.inward());
        out.outline = {{0, 0}};
        for (const Vec2 p : room.topOf(id.index))
            out.outline.push_back(p);
        out.outline.push_back({w.length().mm(), 0});
        out.clear = depthBefore(room, w);
        return out;
    }
    case SurfaceId::Is::opening:
    case SurfaceId::Is::top: {
        const Piece* carrier = scene.pieceById(id.piece);
        const auto body = bodyOf(scene, id.piece);
        if (carrier == nullptr || !body)
            return {};
        out.x = body->right;
        out.y = body->front;
        out.normal = up;
        out.outline = cornersOf(boardOf(*carrier, id));
        if (id.is == SurfaceId::Is::top) {
            const Length high = carrier->kind->takesSoft()
                                    ? carrier->heights.seat.value_or(carrier->top())
                                    : carrier->top();
            out.origin = body->foot + up * high.mm();
            out.clear = Length::millimetres(
                std::max(room.ceilingAt(out.origin.plan()).mm() - out.origin.z, 0.0));
            return out;
        }
        const auto box = openingOf(*carrier, id.index);
        if (!box)
            return {};
        out.origin = body->foot + body->right * box->left +
                     body->front * (-carrier->size.depth.mm() / 2) + up * box->board;
        out.clear = Length::millimetres(box->head - box->board);
        return out;
    }
    }
    return {};
}

Length plinthOf(const Piece& unit) {
    const UnitTold* told = unit.unit.get();
    if (told == nullptr || told->high.empty())
        return unit.kind->openings.foot;
    Length all = (unit.rows() + 1) * unit.board();
    for (const Length h : told->high)
        all = all + h;
    return unit.size.height - all;
}

std::optional<OpeningBox> openingOf(const Piece& unit, int number) {
    const int across = unit.across();
    const int rows = unit.rows();
    if (number < 1 || number > across * rows)
        return {};
    const UnitTold* told = unit.unit.get();
    const double board = unit.board().mm();
    const double foot = plinthOf(unit).mm();
    const double wide = (unit.size.width.mm() - (across + 1) * board) / across;
    const int column = (number - 1) % across;
    const int row = (number - 1) / across;
    OpeningBox out;
    out.left = -unit.size.width.mm() / 2 + board + column * (wide + board);
    out.right = out.left + wide;
    if (told != nullptr && !told->high.empty()) {
        double top = unit.size.height.mm() - board;
        for (int i = 0; i < row; ++i)
            top -= told->high[static_cast<std::size_t>(i)].mm() + board;
        out.head = top;
        out.board = top - told->high[static_cast<std::size_t>(row)].mm();
    } else {
        const double high = (unit.size.height.mm() - foot - (rows + 1) * board) / rows;
        // The tops of the boards over the lowest one, from below; on pins at whole steps.
        const auto top = [&](int fromFoot) {
            double up = fromFoot * (high + board);
            if (told != nullptr && told->pins > Length{})
                up = std::floor(up / told->pins.mm() + 1e-9) * told->pins.mm();
            return foot + board + up;
        };
        const int fromFoot = rows - 1 - row;
        out.board = top(fromFoot);
        out.head = row == 0 ? unit.size.height.mm() - board : top(fromFoot + 1) - board;
    }
    if (wide <= 0 || out.head <= out.board || out.board < board - 1e-6)
        return {};
    return out;
}

Box boardOf(const Piece& carrier, SurfaceId on) {
    Box b;
    const double d = carrier.size.depth.mm();
    if (on.is == SurfaceId::Is::top) {
        double side = carrier.size.width.mm() / 2;
        double back = -d / 2;
        // Of a seat what is between its arms, and before its back: common practice.
        if (carrier.kind->isSeat()) {
            constexpr double arm = 150;
            constexpr double backRest = 200;
            if (carrier.heights.arm && side > 2 * arm)
                side -= arm;
            if (carrier.heights.back && d > 2 * backRest)
                back += backRest;
        }
        b.include(Vec2{-side, back});
        b.include(Vec2{side, d / 2});
    } else if (const auto box = openingOf(carrier, on.index)) {
        b.include(Vec2{0, 0});
        b.include(Vec2{box->right - box->left, d});
    }
    return b;
}

bool suits(const Kind& k, SurfaceKind on) {
    return k.on == on || (k.standsOn() && (on == SurfaceKind::opening || on == SurfaceKind::floor));
}

std::vector<const Piece*> carriersOf(const Piece& piece, const Scheme& scheme) {
    std::vector<const Piece*> out;
    for (const Piece* p = &piece; p != nullptr && std::find(out.begin(), out.end(), p) == out.end();
         p = p->on.isCarried() ? scheme.byId(p->on.piece) : nullptr)
        out.push_back(p);
    return out;
}

bool seenFromAbove(const Piece& piece, const Scheme& scheme) {
    if (!piece.on.isCarried())
        return piece.on.isFloor();
    const auto all = carriersOf(piece, scheme);
    return all.back()->on.isFloor() && std::all_of(all.begin(), all.end() - 1, [](const Piece* p) {
               return p->on.is == SurfaceId::Is::top;
           });
}

std::optional<Problem> noSuchSurface(const Piece& p, const Room& room, const Scheme& scheme) {
    switch (p.on.is) {
    case SurfaceId::Is::floor:
    case SurfaceId::Is::ceiling:
        return {};
    case SurfaceId::Is::wall:
        if (p.wall() >= 0 && p.wall() < static_cast<int>(room.walls.size()))
            return {};
        return Problem{
            worded("{} hangs on wall {}, which is not there", p.name, wallName(p.wall())),
            "hang it on another wall, or remove it, first"};
    case SurfaceId::Is::opening:
    case SurfaceId::Is::top:
        break;
    }
    const Piece* carrier = scheme.byId(p.on.piece);
    if (carrier == nullptr)
        return Problem{worded("what {} stands on is not there", p.name),
                       "put it on something else"};
    if (carrier->id == p.id)
        return Problem{worded("{} can't stand on itself", p.name), "put it on something else"};
    if (p.on.is == SurfaceId::Is::top) {
        // Things stand on each other.
        if (carrier->kind->hasTop() || carrier->carriesThings() ||
            (carrier->kind->takesSoft() && p.kind->isSoft()))
            return {};
        if (carrier->kind->takesSoft())
            return Problem{worded("only cushions and throws lie on {}", carrier->name),
                           "put it on a table, a chest or a shelf"};
        return Problem{worded("nothing stands on {}", carrier->name),
                       "put it on a table, a chest or a shelf"};
    }
    const int count = carrier->openings();
    if (p.on.index >= 1 && p.on.index <= count)
        return {};
    if (count == 0)
        return Problem{worded("{} has no openings", carrier->name),
                       "name a piece with shelves, or put it on top"};
    return Problem{worded("{} has {}, and no opening {}", carrier->name,
                          count == 1 ? "one opening" : worded("{} openings", count), p.on.index),
                   "they are counted from the top, row by row from the left"};
}

const Placed* seenBy(const Scene& scene, const Piece& p, int other) {
    if (p.on.isFloor() || p.on.isCeiling())
        return scene.inPlan(other);
    return scene.byId(other);
}

Length bottomOf(const Scene& scene, const Piece& p, const Placed& where) {
    const Room& room = *scene.room;
    return room.ceilingAt(where.pose.at) - where.off - p.size.height - room.levelAt(where.pose.at);
}

} // namespace mezzet
