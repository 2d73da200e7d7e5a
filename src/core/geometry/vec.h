#pragma once

#include "measure/angle.h"
#include "measure/length.h"

#include <cmath>

namespace mezzet {

/// A point or a step on a surface, in millimetres. On the floor x runs along wall A to the right
/// and y into the room, so that a positive turn is clockwise as drawn.
struct Vec2 {
    double x = 0; ///< mm
    double y = 0; ///< mm

    bool operator==(const Vec2&) const = default;
    friend constexpr Vec2 operator+(Vec2 a, Vec2 b) { return {a.x + b.x, a.y + b.y}; }
    friend constexpr Vec2 operator-(Vec2 a, Vec2 b) { return {a.x - b.x, a.y - b.y}; }
    friend constexpr Vec2 operator*(Vec2 a, double k) { return {a.x * k, a.y * k}; }
    friend constexpr Vec2 operator*(double k, Vec2 a) { return {a.x * k, a.y * k}; }
    friend constexpr Vec2 operator/(Vec2 a, double k) { return {a.x / k, a.y / k}; }
    constexpr Vec2 operator-() const { return {-x, -y}; }
};

constexpr double dot(Vec2 a, Vec2 b) {
    return a.x * b.x + a.y * b.y;
}
constexpr double cross(Vec2 a, Vec2 b) {
    return a.x * b.y - a.y * b.x;
}
/// A quarter turn clockwise: from along a wall to into the room.
constexpr Vec2 quarter(Vec2 a) {
    return {-a.y, a.x};
}
inline double norm(Vec2 a) {
    // Lengths of a room are far from where squares overflow or vanish, so hypot's care costs for
    // nothing.
    return std::sqrt(a.x * a.x + a.y * a.y);
}
inline Length distance(Vec2 a, Vec2 b) {
    return Length::millimetres(norm(b - a));
}
/// Unit vector; (1, 0) for a step of no length.
inline Vec2 unit(Vec2 a) {
    const double n = norm(a);
    return n > 0 ? a / n : Vec2{1, 0};
}
inline Vec2 turned(Vec2 a, Angle by) {
    const double c = std::cos(by.inRadians());
    const double s = std::sin(by.inRadians());
    return {a.x * c - a.y * s, a.x * s + a.y * c};
}
inline Angle directionOf(Vec2 a) {
    return Angle::radians(std::atan2(a.y, a.x));
}

/// A stretch between two points.
struct Segment {
    Vec2 from;
    Vec2 to;
};

/// The point of a segment nearest to p.
inline Vec2 nearestOn(Segment s, Vec2 p) {
    const Vec2 d = s.to - s.from;
    const double len2 = dot(d, d);
    if (len2 <= 0)
        return s.from;
    const double t = dot(p - s.from, d) / len2;
    return s.from + d * (t < 0 ? 0 : t > 1 ? 1 : t);
}

/// A place and a turn. At turn 0 a piece's back is toward wall A and its front toward +y.
struct Pose {
    Vec2 at;    ///< the footprint's centre, mm
    Angle turn; ///< clockwise from above

    bool operator==(const Pose&) const = default;
    [[nodiscard]] Vec2 toRoom(Vec2 local) const { return at + turned(local, turn); }
    [[nodiscard]] Vec2 toLocal(Vec2 room) const { return turned(room - at, -turn); }
    /// Unit vector to the right as you face the piece.
    [[nodiscard]] Vec2 right() const { return turned({1, 0}, turn); }
    /// Unit vector out of its front.
    [[nodiscard]] Vec2 front() const { return turned({0, 1}, turn); }
};

} // namespace mezzet
