#pragma once

#include "kit/kind.h"

#include <cassert>
#include <compare>
#include <vector>

namespace mezzet {

/// Which surface a thing has its place on.
struct SurfaceId {
    using Is = SurfaceKind;
    Is is = Is::floor;
    int index =
        0; ///< wall: its index; opening: its number, from 1, row by row from the top, from the left
    int piece = 0; ///< opening, top: the id of the piece that carries it

    auto operator<=>(const SurfaceId&) const = default;
    [[nodiscard]] bool isFloor() const { return is == Is::floor; }
    [[nodiscard]] bool isWall() const { return is == Is::wall; }
    [[nodiscard]] bool isCeiling() const { return is == Is::ceiling; }
    /// It belongs to a piece, and goes where that goes.
    [[nodiscard]] bool isCarried() const { return is == Is::opening || is == Is::top; }
    /// The wall's index; asked of walls only.
    [[nodiscard]] int wall() const {
        assert(isWall());
        return index;
    }
    /// 1 where a clockwise turn, as one looks at the surface, runs from its x toward its y, and -1
    /// on a wall, whose y runs up.
    [[nodiscard]] double handedness() const { return isWall() ? -1 : 1; }
};

[[nodiscard]] constexpr SurfaceId theFloor() {
    return {};
}
[[nodiscard]] constexpr SurfaceId onWall(int index) {
    return {SurfaceId::Is::wall, index, 0};
}
[[nodiscard]] constexpr SurfaceId theCeiling() {
    return {SurfaceId::Is::ceiling, 0, 0};
}
[[nodiscard]] constexpr SurfaceId inOpening(int piece, int number) {
    return {SurfaceId::Is::opening, number, piece};
}
[[nodiscard]] constexpr SurfaceId onTop(int piece) {
    return {SurfaceId::Is::top, 0, piece};
}

/// A pose on a surface as one that is drawn in the surface's own x and y: a turn is told clockwise
/// as one looks at the surface, whichever way its y runs.
[[nodiscard]] inline Pose drawn(SurfaceId on, Pose pose) {
    return on.handedness() < 0 ? Pose{pose.at, -pose.turn} : pose;
}

/// A point or a step in the room: x and y as on the floor, z up from the floor at wall A; mm.
struct Vec3 {
    double x = 0;
    double y = 0;
    double z = 0;

    bool operator==(const Vec3&) const = default;
    friend constexpr Vec3 operator+(Vec3 a, Vec3 b) { return {a.x + b.x, a.y + b.y, a.z + b.z}; }
    friend constexpr Vec3 operator*(Vec3 a, double k) { return {a.x * k, a.y * k, a.z * k}; }
    [[nodiscard]] constexpr Vec2 plan() const { return {x, y}; }
};

/// A surface where it is in the room. A thing on it has its place in x and y, and stands out from
/// it along the normal.
struct Surface {
    SurfaceId id;
    Vec3 origin;               ///< mm
    Vec3 x;                    ///< unit
    Vec3 y;                    ///< unit
    Vec3 normal;               ///< unit, toward the side things are on
    std::vector<Vec2> outline; ///< its corners in its own x and y, mm
    Length clear; ///< how far there is room along the normal: to the ceiling, the board over it

    [[nodiscard]] Vec3 at(Vec2 p, Length out = {}) const {
        return origin + x * p.x + y * p.y + normal * out.mm();
    }
};

} // namespace mezzet
