#pragma once

#include "light/lamps.h"
#include "light/rays.h"
#include "measure/result.h"

#include <functional>

namespace mezzet {

/// Asked now and then in long work; true stops it.
using StopsLight = std::function<bool()>;

/// The light at a place, in lux.
struct Lux {
    double direct = 0;  ///< straight from the lamps, what stands between taken off
    double bounced = 0; ///< passed on by walls, ceiling, floor and pieces
    [[nodiscard]] double all() const { return direct + bounced; }
};

/// How much light a scene's surfaces give back: as told, else what is usual.
struct Reflectances {
    double walls = 0.6;
    double ceiling = 0.8;
    double floor = 0.25;
    double pieces = 0.3;
    double glass = 0.1; ///< of a window at night
};
[[nodiscard]] Reflectances reflectancesOf(const LightPlan&);
/// "walls 60 %, floor 25 % given back, assumed": what is not told of them; nothing when all is.
[[nodiscard]] std::string assumedIn(const LightPlan&);

/// A room with its lamps lit, at night: daylight is left out. Made once from a scene; asked for
/// points, it casts shadows from the bodies of walls and pieces. Light passed on is found when
/// first asked for: as diffuse surfaces pass it, by patches of some 35 cm (Goral and others, 1984),
/// whose shares of one another's light are counted by rays, so that in a closed room none is lost.
class LitRoom {
public:
    LitRoom(const Project&, const Scene&, const LightScene* = nullptr);
    /// Any bodies and lamps: `reflects` gives back a share for each face.
    LitRoom(const Solids&, std::vector<double> reflects, std::vector<Lamp>);

    [[nodiscard]] const std::vector<Lamp>& lamps() const { return lamps_; }
    /// Straight from the lamps, at a point with its unit normal. A lamp near its own size away
    /// shines from all over its opening.
    [[nodiscard]] double direct(Vec3 at, Vec3 normal) const;
    /// The same from one of them, by its place in `lamps()`.
    [[nodiscard]] double directFrom(std::size_t lamp, Vec3 at, Vec3 normal) const;
    /// All that was passed on, by so many rays. Call `pass` first.
    [[nodiscard]] double bounced(Vec3 at, Vec3 normal, int rays = 4096) const;
    /// Finds what is passed on; false when it was stopped.
    bool pass(const StopsLight& stops = {});
    [[nodiscard]] Lux at(Vec3 at, Vec3 normal) const {
        return {direct(at, normal), bounced(at, normal)};
    }

    /// What would be passed on to every place if it were spread evenly over all surfaces: flux x
    /// mean reflectance / (area x (1 - mean reflectance)), lux.
    [[nodiscard]] double evenlyPassedOn() const;
    /// After `pass`: the mean light on all surfaces, by their area, lux; and their area, m².
    [[nodiscard]] double meanOfAll() const;
    [[nodiscard]] double area() const;

private:
    struct Patch {
        double area = 0; ///< mm²
        double reflects = 0;
        double lux = 0; ///< straight, then all
    };
    void build(const Solids&, const std::vector<double>& reflects);
    void shoot();

    std::vector<Lamp> lamps_;
    std::vector<Patch> patches_; ///< one a triangle of rays_
    std::unique_ptr<Rays> rays_;
    bool passed_ = false;
};

/// Light on a level grid over the room: rows along y, each along x; nothing outside the room.
struct LuxGrid {
    Vec2 from;       ///< the first sample's place, mm
    double step = 0; ///< mm
    std::size_t columns = 0;
    std::size_t rows = 0;
    std::vector<std::optional<double>> lux; ///< row after row
    double mean = 0;
    double least = 0;
    [[nodiscard]] double evenness() const { return mean > 0 ? least / mean : 0; }
};
/// `height` over the floor, facing up. Problem: a grid of too many points.
/// The other: on whatever is uppermost there, as one sees it from above.
[[nodiscard]] Result<LuxGrid> gridOf(const LitRoom&, const Room&, Length step, Length height,
                                     bool directOnly, const StopsLight& stops = {});
[[nodiscard]] Result<LuxGrid> gridFromAbove(const LitRoom&, const Scene&, Length step,
                                            bool directOnly, const StopsLight& stops = {});

} // namespace mezzet
