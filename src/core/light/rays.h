#pragma once

#include "solid/solids.h"

#include <memory>

namespace mezzet {

/// What a ray meets first.
struct Met {
    std::size_t triangle = 0; ///< in the order they were given
    double away = 0;          ///< mm
    bool front = true;        ///< met on the side its normal is on
};

/// Triangles that rays are cast at, by Embree. May be asked by several threads at once.
class Rays {
public:
    struct Triangle {
        std::array<Vec3, 3> corners; ///< mm
        Vec3 normal;                 ///< unit, toward the side that is seen
    };
    explicit Rays(std::vector<Triangle>);
    ~Rays();
    Rays(Rays&&) noexcept;
    Rays& operator=(Rays&&) noexcept;

    [[nodiscard]] const std::vector<Triangle>& triangles() const { return triangles_; }
    /// Whether anything stands between two points. What lies within a millimetre of either is not
    /// in between.
    [[nodiscard]] bool blocked(Vec3 from, Vec3 to) const;
    /// The first thing along a unit direction; nothing where it leaves the room.
    [[nodiscard]] std::optional<Met> first(Vec3 from, Vec3 way) const;

private:
    struct Scene;
    std::vector<Triangle> triangles_;
    std::unique_ptr<Scene> scene_;
};

} // namespace mezzet
