#pragma once

#include "geometry/vec.h"

#include <array>
#include <span>
#include <vector>

namespace mezzet {

/// One convex part of a footprint, exact: a polygon swept by a disc, an ellipse, or a sector.
struct Convex {
    enum class Form { polygon, ellipse, sector };
    static constexpr int most = 8;

    Form form = Form::polygon;
    int count = 0; ///< points in use (polygon)
    std::array<Vec2, most>
        points;           ///< polygon: corners in turn, clockwise as drawn; else [0] the centre
    double radius = 0;    ///< mm; polygon: the disc swept round it; sector: its radius
    double halfWidth = 0; ///< mm; ellipse: half-axis along `axis`
    double halfDepth = 0; ///< mm; ellipse: half-axis across it
    Vec2 axis{1, 0};      ///< ellipse: direction of the width; sector: its first edge
    Angle sweep;          ///< sector: clockwise from axis, at most 180 degrees
};

/// A footprint on a surface: the union of one or two convex parts. Allocates nothing.
struct Shape {
    int count = 0;
    std::array<Convex, 2> parts;
    Vec2 centre;      ///< of a circle that holds it
    double reach = 0; ///< mm; that circle's radius

    [[nodiscard]] std::span<const Convex> all() const {
        return {parts.data(), static_cast<std::size_t>(count)};
    }
};

/// A box with its axes along the room's.
struct Box {
    Vec2 low{1e300, 1e300};
    Vec2 high{-1e300, -1e300};

    void include(Vec2 p);
    void include(const Box& b);
    [[nodiscard]] bool empty() const { return low.x > high.x; }
    [[nodiscard]] Vec2 centre() const { return (low + high) / 2; }
    [[nodiscard]] Vec2 size() const { return high - low; }
};

/// About the local origin, width along x and depth along y. `corner` rounds the corners and is held
/// to half the shorter side.
[[nodiscard]] Shape rectangle(Length width, Length depth, Length corner = {});
/// An ellipse; a circle when width and depth are equal.
[[nodiscard]] Shape oval(Length width, Length depth);
/// An arch with its head toward +y: a rectangle under a half ellipse as high as half its width, or
/// as half the whole when that is less.
[[nodiscard]] Shape arch(Length width, Length height);
/// Eight sides in a box, its corners cut at the same share of either side.
[[nodiscard]] Shape octagon(Length width, Length height);
/// An L: a body of `bodyDepth` along the back, and an arm of `armWidth` reaching the full depth at
/// the right or left as you face it.
[[nodiscard]] Shape ell(Length width, Length depth, Length bodyDepth, Length armWidth,
                        bool armOnRight, Length corner = {});
/// A pie slice about `hinge`, from direction `from` turning by `sweep` (-180 to 180 degrees).
[[nodiscard]] Shape sector(Vec2 hinge, Vec2 from, Angle sweep, Length radius);
/// A stretch of wall, or any polygon of up to eight corners that is convex.
[[nodiscard]] Shape convexPolygon(std::span<const Vec2> corners);

/// The shape where a pose puts it.
[[nodiscard]] Shape placed(const Shape& local, Pose pose);

/// The point of a part farthest along `direction` (any length).
[[nodiscard]] Vec2 support(const Convex&, Vec2 direction);
[[nodiscard]] Vec2 support(const Shape&, Vec2 direction);
/// How far the shape reaches along a unit direction, measured from the room's origin, mm.
[[nodiscard]] double extent(const Shape&, Vec2 direction);

[[nodiscard]] Box bounds(const Shape&);

/// True when the point lies in the shape or on its edge.
[[nodiscard]] bool contains(const Shape&, Vec2 p);

/// A point of a convex part, well inside where it has an inside.
[[nodiscard]] Vec2 insideOf(const Convex&);
/// A circle about that point that holds the part: its radius, mm.
[[nodiscard]] double reachOf(const Convex&);

/// The outline as corners, clockwise as drawn; curves are cut into chords that stay within
/// `tolerance` of them. An L comes out as one outline.
[[nodiscard]] std::vector<Vec2> outline(const Shape&, Length tolerance = Length::millimetres(0.05));
[[nodiscard]] std::vector<Vec2> outline(const Convex&,
                                        Length tolerance = Length::millimetres(0.05));

/// The edge of an ellipse of two half-axes, in their unit: Ramanujan's first approximation, exact
/// for a circle and within 1 % for any that is not a needle.
[[nodiscard]] double ellipsePerimeter(double halfWidth, double halfDepth);

} // namespace mezzet
