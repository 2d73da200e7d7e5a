#include "room/room.h"

#include "geometry/polygon.h"

#include <fmt/format.h>

namespace mezzet {

std::string Opening::name() const {
    const char* k = kind == OpeningKind::window ? "window"
                    : kind == OpeningKind::door ? "door"
                                                : "opening";
    return fmt::format("{} {}", k, number);
}

std::string Chimney::name() const {
    return number == 1 ? "chimney" : fmt::format("chimney {}", number);
}

std::vector<Vec2> Room::corners() const {
    std::vector<Vec2> out;
    for (const auto& w : walls)
        out.push_back(w.start);
    if (!closed && !walls.empty())
        out.push_back(walls.back().end);
    return out;
}

double Room::floorArea() const {
    if (!closed)
        return 0;
    double area = std::abs(signedArea(corners()));
    for (const auto& c : chimneys)
        area -= c.width.mm() * c.depth.mm();
    return area;
}

Length Room::perimeter() const {
    Length sum;
    for (const auto& w : walls)
        sum += w.length();
    return sum;
}

Box Room::bounds() const {
    Box b;
    for (const Vec2 p : corners())
        b.include(p);
    return b;
}

bool Room::holds(Vec2 p) const {
    if (closed && !insideOutline(corners(), p))
        return false;
    for (const auto& c : chimneys)
        if (contains(solid(*this, c), p))
            return false;
    return true;
}

Vec2 Room::middle() const {
    const auto c = corners();
    if (c.empty())
        return {};
    const Vec2 m = centroid(c);
    if (!closed || insideOutline(c, m))
        return m;
    // An L or a U can have its centroid outside: take the inside point of a coarse grid that lies
    // farthest from every wall.
    const Box b = bounds();
    Vec2 best = m;
    double most = -1;
    for (int i = 1; i < 20; ++i) {
        for (int j = 1; j < 20; ++j) {
            const Vec2 p{b.low.x + b.size().x * i / 20, b.low.y + b.size().y * j / 20};
            if (!insideOutline(c, p))
                continue;
            double nearest = 1e300;
            for (const auto& w : walls)
                nearest = std::min(nearest, norm(p - nearestOn({w.start, w.end}, p)));
            if (nearest > most) {
                most = nearest;
                best = p;
            }
        }
    }
    return best;
}

Result<RoomPtr> buildRoom(const TapeNotes& notes) {
    const auto laid = traverse(notes);
    auto room = std::make_shared<Room>();
    room->name = notes.name;
    room->ceiling = notes.ceiling;
    room->north = notes.north;
    room->closed = laid.closure.closed;
    room->closure = laid.closure;
    room->diagonals = laid.diagonals;
    if (room->closed) {
        if (const auto hit = selfCrossing(laid.corners)) {
            const auto& w = notes.walls[static_cast<std::size_t>(hit->second)];
            Problem p{fmt::format("wall {} runs through wall {}", w.name, wallName(hit->first)),
                      "check the corners: “corner out” turns the other way"};
            p.line = w.place.line;
            p.column = w.place.column;
            p.width = w.place.width;
            return p;
        }
    }
    int windows = 0, doors = 0, plain = 0;
    const std::size_t n = notes.walls.size();
    for (std::size_t i = 0; i < n; ++i) {
        const auto& taped = notes.walls[i];
        Wall w{taped.name, laid.corners[i], laid.corners[(i + 1) % laid.corners.size()], taped.run};
        const auto left = [&](Length offset, bool fromRight, Length width) {
            return fromRight ? w.length() - offset - width : offset;
        };
        const int index = static_cast<int>(i);
        for (const auto& o : taped.openings) {
            int& count = o.kind == OpeningKind::window ? windows
                         : o.kind == OpeningKind::door ? doors
                                                       : plain;
            room->openings.push_back({o.kind, ++count, index, left(o.offset, o.fromRight, o.width),
                                      o.width, o.height, o.sill, o.hingeRight, o.swingsIn,
                                      o.undercut});
        }
        for (const auto& c : taped.chimneys)
            room->chimneys.push_back({static_cast<int>(room->chimneys.size()) + 1, index,
                                      left(c.offset, c.fromRight, c.width), c.width, c.depth});
        for (const auto& o : taped.outlets)
            room->outlets.push_back({o.kind, index, left(o.offset, o.fromRight, Length{}), o.up});
        room->studs.push_back(taped.studs);
        room->walls.push_back(std::move(w));
    }
    return RoomPtr(room);
}

Result<RoomPtr> roomFromNotes(std::string_view notes, std::string_view file) {
    auto read = readTapeNotes(notes, file);
    if (!read)
        return read.problem();
    auto room = buildRoom(*read);
    if (!room) {
        Problem p = room.problem();
        p.file = file;
        return p;
    }
    return room;
}

Shape solid(const Room& room, const Chimney& c) {
    const Wall& w = room.walls[static_cast<std::size_t>(c.wall)];
    const Vec2 in = w.inward() * c.depth.mm();
    const std::array<Vec2, 4> corners{w.at(c.left), w.at(c.left + c.width),
                                      w.at(c.left + c.width) + in, w.at(c.left) + in};
    return convexPolygon(corners);
}

std::optional<Shape> doorSwing(const Room& room, const Opening& o) {
    if (o.kind != OpeningKind::door || !o.swingsIn)
        return {};
    const Wall& w = room.walls[static_cast<std::size_t>(o.wall)];
    const Vec2 hinge = w.at(o.hingeRight ? o.left + o.width : o.left);
    const Vec2 shut = o.hingeRight ? -w.along() : w.along();
    // From shut along the wall round to square into the room.
    return sector(hinge, shut, Angle::degrees(o.hingeRight ? -90 : 90), o.width);
}

Vec2 middleOf(const Room& room, const Opening& o) {
    return room.walls[static_cast<std::size_t>(o.wall)].at(o.left + o.width / 2);
}

} // namespace mezzet
