#include "rugs/cut_to_room.h"

#include "geometry/polygon.h"
#include "geometry/regions.h"
#include "measure/texts.h"

#include <algorithm>
#include <cmath>

namespace mezzet {

namespace {

constexpr double speck = 1e-6;

/// The strips along the edge of the floor that stay bare, sharp at its outside corners.
void borders(const Room& room, const RoomCut& cut, std::vector<std::vector<Vec2>>& out) {
    const std::size_t n = room.edge.size();
    const auto off = [&](std::size_t i) {
        return cut.offWall[static_cast<std::size_t>(room.edgeWall[i])].mm();
    };
    for (std::size_t i = 0; i < n; ++i) {
        const Wall w = room.stretchAt(i);
        const double by = off(i);
        if (by > speck && w.length().mm() > speck)
            out.push_back({w.start, w.end, w.end + w.inward() * by, w.start + w.inward() * by});
        // At an outside corner the two strips leave a wedge open, up to where their lines meet.
        const Wall before = room.stretchAt((i + n - 1) % n);
        const double turn = cross(before.along(), w.along());
        const double other = off((i + n - 1) % n);
        if (turn >= -speck || (by <= speck && other <= speck))
            continue;
        const Vec2 a = w.start + before.inward() * other;
        const Vec2 b = w.start + w.inward() * by;
        constexpr double straight = 0.02; // a turn, as its sine
        if (turn > -straight) {
            out.push_back({w.start, b, a});
            continue;
        }
        // a + before.along() s = b - w.along() t
        const double s = cross(b - a, w.along()) / turn;
        const Vec2 tip = a + before.along() * s;
        std::vector<Vec2> wedge;
        for (const Vec2 p : {w.start, b, tip, a})
            if (wedge.empty() || norm(p - wedge.back()) > speck)
                wedge.push_back(p);
        if (wedge.size() > 2 && norm(wedge.front() - wedge.back()) <= speck)
            wedge.pop_back();
        if (wedge.size() > 2)
            out.push_back(std::move(wedge));
    }
}

} // namespace

bool carpetGoesRound(const Fixture& f) {
    switch (f.kind) {
    case FixtureKind::chimney:
    case FixtureKind::fireplace:
    case FixtureKind::builtIn:
    case FixtureKind::halfWall:
    case FixtureKind::column:
    case FixtureKind::stairs:
        return f.takesFloor();
    case FixtureKind::radiator:
    case FixtureKind::outlet:
    case FixtureKind::lightSwitch:
    case FixtureKind::vent:
    case FixtureKind::wallLight:
        return false;
    }
    return false;
}

std::vector<std::vector<Vec2>> takenBy(const Room& room, const Fixture& f) {
    std::vector<std::vector<Vec2>> out;
    const Shape shape = solid(room, f);
    for (const Convex& c : shape.all())
        out.push_back(outline(c));
    if (f.hearthDepth > Length{} && f.kind != FixtureKind::column) {
        const Wall& w = room.walls[static_cast<std::size_t>(f.wall)];
        const Length wide = f.hearthWidth > Length{} ? f.hearthWidth : f.width;
        const Length left = f.left + (f.width - wide) / 2;
        // From the wall on, so that breast and hearth are of one piece.
        const double deep = (f.depth + f.hearthDepth).mm();
        const Vec2 a = w.at(left);
        const Vec2 b = w.at(left + wide);
        const Vec2 in = w.inward();
        const Vec2 face = in * f.depth.mm();
        out.push_back({a + face, b + face, b + in * deep, a + in * deep});
    }
    return out;
}

Result<std::vector<Vec2>> cutToRoom(const Room& room, const RoomCut& cut,
                                    std::vector<std::string>& told) {
    if (!room.closed || room.edge.size() < 3)
        return Problem{"the room doesn't close yet", "measure it first"};
    std::vector<std::vector<Vec2>> taken;
    borders(room, cut, taken);
    for (std::size_t i = 0; i < room.fixtures.size(); ++i) {
        const Fixture& f = room.fixtures[i];
        if (!carpetGoesRound(f))
            continue;
        auto parts = takenBy(room, f);
        for (std::size_t k = 0; k < parts.size(); ++k) {
            auto& part = parts[k];
            const bool hearth = f.hearthDepth > Length{} && k + 1 == parts.size();
            const double by = (hearth ? cut.offHearth : cut.offFixture)[i].mm();
            if (by <= speck) {
                taken.push_back(std::move(part));
                continue;
            }
            for (auto& r : grown(part, by))
                taken.push_back(std::move(r.edge));
        }
    }
    auto left = without(room.edge, taken);
    if (left.empty())
        return Problem{"the border leaves nothing of the room", "say a narrower one"};
    Region& most = left.front();
    // Slivers behind a chimney are no part of anything.
    constexpr double least = 1e5; // mm²
    const auto parts = std::count_if(left.begin(), left.end(),
                                     [](const Region& r) { return signedArea(r.edge) > least; });
    if (parts > 1)
        told.push_back(
            worded("the border divides the floor: the largest of {} parts is cut", parts));
    if (!most.holes.empty())
        told.push_back("what stands free in the middle is cut out on the spot");
    // It begins at the corner nearest to where wall A does.
    const Vec2 origin = room.walls.front().start;
    const auto first =
        std::min_element(most.edge.begin(), most.edge.end(), [&](const Vec2& a, const Vec2& b) {
            return norm(a - origin) < norm(b - origin) - speck;
        });
    std::rotate(most.edge.begin(), first, most.edge.end());
    return most.edge;
}

} // namespace mezzet
