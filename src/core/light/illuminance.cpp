#include "light/illuminance.h"

#include "geometry/polygon.h"
#include "measure/text.h"
#include "measure/texts.h"

#include <algorithm>
#include <array>
#include <atomic>
#include <cmath>
#include <future>
#include <numbers>
#include <thread>
#include <tuple>

namespace mezzet {

namespace {

constexpr double pi = std::numbers::pi;
constexpr double patchSide = 350; // mm
constexpr std::size_t mostPatches = 12000;
constexpr int raysOfAPatch = 128;
constexpr int raysOfAGridPoint = 768;
constexpr int raysOfLamps = 120000; // of all together
constexpr double lift = 0.5;        // mm off a surface, so that it doesn't shade itself

/// Van der Corput's numbers by a base: evenly spread however many are taken.
double spread(unsigned i, unsigned base) {
    double out = 0;
    double part = 1.0 / base;
    for (; i > 0; i /= base, part /= base)
        out += part * (i % base);
    return out;
}

/// The first of them, kept: they are asked for again and again.
struct Spreads {
    std::array<double, raysOfAPatch> second;
    std::array<double, raysOfAPatch> fifth;
    std::array<double, raysOfAPatch> seventh;
};
const Spreads& spreads() {
    static const Spreads all = [] {
        Spreads out{};
        for (unsigned i = 0; i < raysOfAPatch; ++i) {
            out.second[i] = spread(i, 2);
            out.fifth[i] = spread(i, 5);
            out.seventh[i] = spread(i, 7);
        }
        return out;
    }();
    return all;
}

/// Does something for each of so many, a thread a processor; false when it was stopped.
template <class Each> bool sideBySide(std::size_t count, const StopsLight& stops, Each each) {
    std::atomic<std::size_t> next = 0;
    std::atomic<bool> stopped = false;
    constexpr std::size_t atOnce = 32;
    const auto work = [&] {
        while (!stopped) {
            const std::size_t from = next.fetch_add(atOnce);
            if (from >= count)
                return;
            if (stops && stops()) {
                stopped = true;
                return;
            }
            for (std::size_t i = from; i < std::min(from + atOnce, count); ++i)
                each(i);
        }
    };
    std::vector<std::future<void>> others;
    for (unsigned i = 1; i < std::max(std::thread::hardware_concurrency(), 1U); ++i)
        others.push_back(std::async(std::launch::async, work));
    work();
    for (auto& other : others)
        other.get();
    return !stopped;
}

/// A direction about a normal, as likely as the cosine of its angle from it.
Vec3 byCosine(const Frame3& f, Vec3 normal, double u, double v) {
    const double r = std::sqrt(u);
    const double turn = 2 * pi * v;
    return f.u * (r * std::cos(turn)) + f.v * (r * std::sin(turn)) + normal * std::sqrt(1 - u);
}

double areaOf(const std::array<Vec3, 3>& t) {
    return norm(cross(t[1] - t[0], t[2] - t[0])) / 2;
}

/// Draws the directions of a distribution, as likely as it shines there: over V and H in its own
/// angles, cell by cell.
class Drawn {
public:
    explicit Drawn(const Lamp& lamp) : lamp_(lamp) {
        cells_.reserve(static_cast<std::size_t>(rows) * columns);
        for (int i = 0; i < rows; ++i)
            for (int k = 0; k < columns; ++k) {
                const double z = 1 - 2 * (i + 0.5) / rows; // even in solid angle
                const double turn = 2 * pi * (k + 0.5) / columns;
                const double r = std::sqrt(std::max(1 - z * z, 0.0));
                total_ += lamp.shines->along(r * std::cos(turn), r * std::sin(turn), z);
                cells_.push_back(total_);
            }
    }
    [[nodiscard]] Vec3 operator()(double at, double u, double v) const {
        const auto it = std::lower_bound(cells_.begin(), cells_.end(), at * total_);
        const auto n = static_cast<int>(std::min<std::ptrdiff_t>(
            it - cells_.begin(), static_cast<std::ptrdiff_t>(cells_.size()) - 1));
        const double z = 1 - 2 * (n / columns + u) / rows;
        const double turn = 2 * pi * (n % columns + v) / columns;
        const double r = std::sqrt(std::max(1 - z * z, 0.0));
        return unit(lamp_.x * (r * std::cos(turn)) + lamp_.y * (r * std::sin(turn)) + lamp_.z * z);
    }
    [[nodiscard]] bool dark() const { return total_ <= 0; }

private:
    static constexpr int rows = 180;
    static constexpr int columns = 72;
    const Lamp& lamp_;
    std::vector<double> cells_; ///< summed
    double total_ = 0;
};

} // namespace

Reflectances reflectancesOf(const LightPlan& plan) {
    Reflectances out;
    out.walls = plan.walls.value_or(out.walls);
    out.ceiling = plan.ceiling.value_or(out.ceiling);
    out.floor = plan.floor.value_or(out.floor);
    return out;
}

std::string assumedIn(const LightPlan& plan) {
    const Reflectances r;
    std::vector<std::string> all;
    for (const auto& [said, name, share] :
         {std::tuple{plan.walls, "walls", r.walls}, std::tuple{plan.ceiling, "ceiling", r.ceiling},
          std::tuple{plan.floor, "floor", r.floor}})
        if (!said)
            all.push_back(worded("{} {:.0f} %", name, share * 100));
    return all.empty() ? std::string() : worded("{} given back, assumed", listed(all));
}

LitRoom::LitRoom(const Project& job, const Scene& scene, const LightScene* light)
    : lamps_(lampsOf(job, scene, light)) {
    const Solids solids = solidsOf(scene);
    const Reflectances r = reflectancesOf(scene.scheme->light);
    std::vector<double> reflects;
    for (const Face& f : solids.faces) {
        double share = r.walls;
        switch (f.made) {
        case Made::floor:
            share = r.floor;
            break;
        case Made::ceiling:
            share = r.ceiling;
            break;
        case Made::wall:
        case Made::door:
        case Made::builtIn:
            break;
        case Made::glass:
            share = r.glass;
            break;
        case Made::piece: {
            const Piece* p = scene.pieceById(f.of);
            share = p != nullptr ? p->reflects.value_or(r.pieces) : r.pieces;
            break;
        }
        }
        reflects.push_back(share);
    }
    build(solids, reflects);
}

LitRoom::LitRoom(const Solids& solids, std::vector<double> reflects, std::vector<Lamp> lamps)
    : lamps_(std::move(lamps)) {
    build(solids, reflects);
}

void LitRoom::build(const Solids& solids, const std::vector<double>& reflects) {
    double total = 0;
    for (const Face& f : solids.faces)
        for (const auto& t : f.triangles)
            total += areaOf(t);
    // A hall gets larger patches, so that there are no more than can be told of.
    const double side =
        std::max(patchSide, std::sqrt(total * 2.5 / static_cast<double>(mostPatches)));
    std::vector<Rays::Triangle> all;
    for (std::size_t i = 0; i < solids.faces.size(); ++i) {
        const Face& f = solids.faces[i];
        for (const auto& t : f.triangles) {
            std::vector<std::array<Vec3, 3>> parts;
            cutInHalves(t, side, parts);
            for (const auto& p : parts) {
                all.push_back({p, f.normal});
                patches_.push_back({areaOf(p), reflects[i], 0});
            }
        }
    }
    rays_ = std::make_unique<Rays>(std::move(all));
}

double LitRoom::directFrom(std::size_t index, Vec3 at, Vec3 normal) const {
    const Lamp& lamp = lamps_[index];
    if (lamp.factor <= 0)
        return 0;
    const Vec3 from = at + normal * lift;
    const auto oneFrom = [&](Vec3 source) {
        const Vec3 step = source - at;
        const double far2 = dot(step, step);
        const double far = std::sqrt(far2);
        const double cosine = dot(step, normal) / std::max(far, 1e-9);
        if (cosine <= 0 || far < 1e-6)
            return 0.0;
        const Vec3 way = step * (-1 / far);
        const double candela =
            lamp.shines->along(dot(way, lamp.x), dot(way, lamp.y), dot(way, lamp.z)) * lamp.factor;
        if (candela <= 0 || rays_->blocked(from, source))
            return 0.0;
        constexpr double metre2 = 1e6; // mm²
        return candela * cosine / far2 * metre2;
    };
    const double size = std::max(lamp.length, lamp.width);
    const double far = norm(lamp.at - at);
    // From five times its size on, a lamp is as good as a point (the rule of the trade's
    // handbooks).
    constexpr double asPoint = 5;
    if (size <= 0 || far >= asPoint * size)
        return oneFrom(lamp.at);
    const auto parts = [&](double length) {
        return length <= 0
                   ? 1
                   : std::clamp(static_cast<int>(std::ceil(8 * length / std::max(far, 1.0))), 2,
                                32);
    };
    if (lamp.round) {
        // Rings of one area each.
        const int rings = parts(size);
        const int spokes = 2 * rings + 4;
        double sum = 0;
        for (int i = 0; i < rings; ++i)
            for (int k = 0; k < spokes; ++k) {
                const double r = size / 2 * std::sqrt((i + 0.5) / rings);
                const double turn = 2 * pi * (k + 0.5 * (i % 2)) / spokes;
                sum += oneFrom(lamp.at + lamp.x * (r * std::cos(turn)) +
                               lamp.y * (r * std::sin(turn)));
            }
        return sum / (rings * spokes);
    }
    const int nx = parts(lamp.length);
    const int ny = parts(lamp.width);
    double sum = 0;
    for (int i = 0; i < nx; ++i)
        for (int k = 0; k < ny; ++k)
            sum += oneFrom(lamp.at + lamp.x * (lamp.length * ((i + 0.5) / nx - 0.5)) +
                           lamp.y * (lamp.width * ((k + 0.5) / ny - 0.5)));
    return sum / (nx * ny);
}

double LitRoom::direct(Vec3 at, Vec3 normal) const {
    double sum = 0;
    for (std::size_t i = 0; i < lamps_.size(); ++i)
        sum += directFrom(i, at, normal);
    return sum;
}

/// Sends each lamp's light out and sums what falls on each patch.
void LitRoom::shoot() {
    double lumens = 0;
    for (const Lamp& l : lamps_)
        lumens += l.lumens;
    for (Patch& p : patches_)
        p.lux = 0;
    unsigned seed = 1;
    for (const Lamp& lamp : lamps_) {
        if (lamp.lumens <= 0)
            continue;
        const Drawn draw(lamp);
        if (draw.dark())
            continue;
        const int rays = std::max(2000, static_cast<int>(raysOfLamps * lamp.lumens / lumens));
        const double each = lamp.lumens / rays;
        for (int i = 0; i < rays; ++i, ++seed) {
            const auto n = static_cast<unsigned>(i);
            const Vec3 way = draw((i + 0.5) / rays, spread(n, 2), spread(n, 3));
            Vec3 from = lamp.at;
            if (lamp.length > 0 || lamp.width > 0)
                from = from + lamp.x * (lamp.length * (spread(n, 5) - 0.5)) +
                       lamp.y * (lamp.width * (spread(n, 7) - 0.5));
            if (const auto met = rays_->first(from, way)) {
                Patch& p = patches_[met->triangle];
                p.lux += each / (p.area / 1e6);
            }
        }
    }
    // Counted rays lose no light, but fall unevenly far from a lamp. There the light is reckoned
    // at points, and as much of it in all as was counted.
    constexpr double near = 1000; // mm
    const auto& triangles = rays_->triangles();
    double counted = 0;
    double reckoned = 0;
    std::vector<double> straight(patches_.size(), -1);
    (void)sideBySide(patches_.size(), {}, [&](std::size_t i) {
        const auto& t = triangles[i];
        const Vec3 middle = (t.corners[0] + t.corners[1] + t.corners[2]) * (1.0 / 3);
        if (std::any_of(lamps_.begin(), lamps_.end(), [&](const Lamp& l) {
                return norm(l.at - middle) < near + std::max(l.length, l.width);
            }))
            return;
        double lux = direct(middle, t.normal);
        for (const Vec3 c : t.corners)
            lux += direct(middle + (c - middle) * 0.5, t.normal);
        straight[i] = lux / 4;
    });
    std::vector<std::pair<std::size_t, double>> far;
    for (std::size_t i = 0; i < patches_.size(); ++i) {
        if (straight[i] < 0)
            continue;
        counted += patches_[i].lux * patches_[i].area;
        reckoned += straight[i] * patches_[i].area;
        far.emplace_back(i, straight[i]);
    }
    // In a room that keeps most of its light the count is exact; of a few faces it is rough.
    double caught = 0;
    for (const Patch& p : patches_)
        caught += p.lux * p.area / 1e6;
    constexpr double mostOfIt = 0.5;
    if (caught < mostOfIt * lumens)
        counted = reckoned;
    if (reckoned > 0 && counted > 0)
        for (const auto& [i, lux] : far)
            patches_[i].lux = lux * counted / reckoned;
}

bool LitRoom::pass(const StopsLight& stops) {
    if (passed_)
        return true;
    shoot();
    const std::size_t n = patches_.size();
    const auto& triangles = rays_->triangles();
    // What each patch sees: patches by the ray, and none where it leaves the room. Patches are
    // shared out among the processors; sums are made in order afterwards, so that they are the same
    // each time.
    constexpr std::uint32_t nothing = ~0U;
    std::vector<std::uint32_t> sees(n * raysOfAPatch, nothing);
    const bool whole = sideBySide(n, stops, [&](std::size_t i) {
        const auto& t = triangles[i];
        const Frame3 frame = across(t.normal);
        // Every patch has its own turn of the same spread.
        const double shiftU = spread(static_cast<unsigned>(i) + 1, 2);
        const double shiftV = spread(static_cast<unsigned>(i) + 1, 3);
        for (int k = 0; k < raysOfAPatch; ++k) {
            const auto r = static_cast<std::size_t>(k);
            double a = spreads().fifth[r];
            double b = spreads().seventh[r];
            if (a + b > 1) {
                a = 1 - a;
                b = 1 - b;
            }
            const Vec3 at = t.corners[0] + (t.corners[1] - t.corners[0]) * a +
                            (t.corners[2] - t.corners[0]) * b + t.normal * lift;
            double u = (k + 0.5) / raysOfAPatch + shiftU;
            double v = spreads().second[r] + shiftV;
            u -= std::floor(u);
            v -= std::floor(v);
            const auto met = rays_->first(at, byCosine(frame, t.normal, u, v));
            if (met && met->front)
                sees[i * raysOfAPatch + r] = static_cast<std::uint32_t>(met->triangle);
        }
    });
    if (!whole)
        return false;
    std::vector<double> seen(n, 0.0); // areas that see a patch, by how many rays
    std::vector<int> inside(n, 0);    // of its rays that stay in the room
    for (std::size_t i = 0; i < n; ++i)
        for (int k = 0; k < raysOfAPatch; ++k)
            if (const auto j = sees[i * raysOfAPatch + static_cast<std::size_t>(k)]; j != nothing) {
                seen[j] += patches_[i].area;
                ++inside[i];
            }
    // As much goes out of each patch as arrives at the others: rays alone hit it only nearly.
    std::vector<double> weight(n, 0.0);
    for (std::size_t i = 0; i < n; ++i)
        if (seen[i] > 0)
            weight[i] = patches_[i].area * inside[i] / seen[i];
    std::vector<double> straight(n);
    std::vector<double> gives(n);
    for (std::size_t i = 0; i < n; ++i) {
        straight[i] = patches_[i].lux;
        gives[i] = straight[i] * patches_[i].reflects * weight[i];
    }
    constexpr int rounds = 200;
    constexpr double settled = 1e-5;
    for (int round = 0; round < rounds; ++round) {
        if (stops && stops())
            return false;
        double change = 0;
        double all = 0;
        std::vector<double> next(n);
        for (std::size_t i = 0; i < n; ++i) {
            double sum = 0;
            for (int k = 0; k < raysOfAPatch; ++k)
                if (const auto j = sees[i * raysOfAPatch + static_cast<std::size_t>(k)];
                    j != nothing)
                    sum += gives[j];
            const double lux = straight[i] + sum / raysOfAPatch;
            change += std::abs(lux - patches_[i].lux) * patches_[i].area;
            all += lux * patches_[i].area;
            next[i] = lux;
        }
        for (std::size_t i = 0; i < n; ++i) {
            patches_[i].lux = next[i];
            gives[i] = next[i] * patches_[i].reflects * weight[i];
        }
        if (change <= settled * std::max(all, 1e-12))
            break;
    }
    passed_ = true;
    return true;
}

double LitRoom::bounced(Vec3 at, Vec3 normal, int rays) const {
    if (!passed_)
        return 0;
    const Frame3 frame = across(normal);
    const Vec3 from = at + normal * lift;
    double sum = 0;
    for (int k = 0; k < rays; ++k) {
        const auto met = rays_->first(
            from, byCosine(frame, normal, (k + 0.5) / rays, spread(static_cast<unsigned>(k), 2)));
        if (met && met->front)
            sum += patches_[met->triangle].lux * patches_[met->triangle].reflects;
    }
    return sum / rays;
}

double LitRoom::evenlyPassedOn() const {
    double lumens = 0;
    for (const Lamp& l : lamps_)
        lumens += l.lumens;
    double all = 0;
    double back = 0;
    for (const Patch& p : patches_) {
        all += p.area / 1e6;
        back += p.area / 1e6 * p.reflects;
    }
    if (all <= 0)
        return 0;
    const double mean = back / all;
    return lumens * mean / (all * (1 - mean));
}

double LitRoom::area() const {
    double sum = 0;
    for (const Patch& p : patches_)
        sum += p.area;
    return sum / 1e6;
}

double LitRoom::meanOfAll() const {
    double sum = 0;
    for (const Patch& p : patches_)
        sum += p.area / 1e6 * p.lux;
    return sum / std::max(area(), 1e-12);
}

namespace {

/// `heightAt` tells how high a point is, mm.
template <class HeightAt>
Result<LuxGrid> gridAt(const LitRoom& lit, const Room& room, Length step, HeightAt heightAt,
                       bool directOnly, const StopsLight& stops) {
    LuxGrid out;
    const Box box = room.bounds();
    const Vec2 size = box.size();
    constexpr double mostPoints = 250000;
    if (step <= Length{} || size.x / step.mm() * (size.y / step.mm()) > mostPoints)
        return Problem{"a grid of so many points takes too long", "say a larger step, like 250mm"};
    out.step = step.mm();
    out.columns =
        std::max<std::size_t>(1, static_cast<std::size_t>(std::floor(size.x / out.step + 1e-9)));
    out.rows =
        std::max<std::size_t>(1, static_cast<std::size_t>(std::floor(size.y / out.step + 1e-9)));
    // As much left over at both ends.
    out.from = box.centre() -
               Vec2{static_cast<double>(out.columns - 1), static_cast<double>(out.rows - 1)} *
                   (out.step / 2);
    double sum = 0;
    int count = 0;
    double least = 1e300;
    for (std::size_t r = 0; r < out.rows; ++r)
        for (std::size_t c = 0; c < out.columns; ++c) {
            if (stops && c == 0 && stops())
                return Problem{"it was stopped", ""};
            const Vec2 p =
                out.from + Vec2{static_cast<double>(c), static_cast<double>(r)} * out.step;
            if (!room.holds(p)) {
                out.lux.emplace_back();
                continue;
            }
            const Vec3 at = lifted(p, heightAt(p));
            const Vec3 up{0, 0, 1};
            const double lux =
                lit.direct(at, up) + (directOnly ? 0 : lit.bounced(at, up, raysOfAGridPoint));
            out.lux.emplace_back(lux);
            sum += lux;
            least = std::min(least, lux);
            ++count;
        }
    out.mean = count > 0 ? sum / count : 0;
    out.least = count > 0 ? least : 0;
    return out;
}

} // namespace

Result<LuxGrid> gridOf(const LitRoom& lit, const Room& room, Length step, Length height,
                       bool directOnly, const StopsLight& stops) {
    return gridAt(
        lit, room, step, [&](Vec2 p) { return room.levelAt(p).mm() + height.mm(); }, directOnly,
        stops);
}

Result<LuxGrid> gridFromAbove(const LitRoom& lit, const Scene& scene, Length step, bool directOnly,
                              const StopsLight& stops) {
    const FloorView floor(scene);
    const Room& room = *scene.room;
    std::vector<std::vector<Prism>> parts;
    for (std::size_t i = 0; i < floor.placed.size(); ++i) {
        const Piece& p = floor.piece(i);
        parts.push_back(p.kind->flat() || p.kind->family == Family::light ? std::vector<Prism>()
                                                                          : partsOf(p));
    }
    return gridAt(
        lit, room, step,
        [&](Vec2 p) {
            double up = 0;
            for (std::size_t i = 0; i < floor.placed.size(); ++i) {
                if (parts[i].empty() || !contains(floor.placed[i].shape, p))
                    continue;
                const Vec2 local = floor.placed[i].pose.toLocal(p);
                for (const Prism& part : parts[i])
                    if (insideOutline(part.base, local))
                        up = std::max(up, baseOf(floor, i).mm() + part.to);
            }
            return room.levelAt(p).mm() + up;
        },
        directOnly, stops);
}

} // namespace mezzet
