// Whether a piece comes in: doors, and the turn beyond them.
#include "fits/fits.h"

#include "geometry/gap.h"
#include "geometry/lane.h"
#include "room/house.h"

#include <fmt/format.h>

#include <algorithm>
#include <array>
#include <cmath>
#include <numbers>

namespace mezzet {

namespace {

/// What a door's leaf, standing open, and its stops take off its width.
constexpr Length leafTakes = Length::inches(2);

/// The clear depth straight out from a doorway in the room beyond it; empty when that is not taped.
std::optional<Length> depthBeyond(const Project& job, const Opening& door) {
    const House house = joinRooms(job.rooms);
    const auto here = job.scheme().room;
    for (const Joint& j : house.joints) {
        std::size_t other = 0;
        std::size_t opening = 0;
        const auto index = static_cast<std::size_t>(&door - job.room->openings.data());
        if (j.room == here && j.opening == index && j.other) {
            other = j.beyond;
            opening = *j.other;
        } else if (j.beyond == here && j.other && *j.other == index) {
            other = j.room;
            opening = j.opening;
        } else {
            continue;
        }
        const Room& beyond = *job.rooms[other];
        const Opening& o = beyond.openings[opening];
        const Wall& w = beyond.walls[static_cast<std::size_t>(o.wall)];
        const Lane lane{middleOf(beyond, o), w.inward(), o.width / 2};
        std::optional<double> near;
        for (std::size_t i = 0; i < beyond.stretches(); ++i) {
            const Wall s = beyond.stretchAt(i);
            if (dot(s.inward(), w.inward()) > -0.1)
                continue;
            if (const auto p = firstInLane(lane, stretch({s.start, s.end}))) {
                const double ahead = dot(*p - lane.from, lane.along);
                if (!near || ahead < *near)
                    near = ahead;
            }
        }
        if (near)
            return Length::millimetres(*near);
    }
    return {};
}

} // namespace

bool rectangleFits(double p, double q, double a, double b) {
    if (p < q)
        std::swap(p, q);
    if (a < b)
        std::swap(a, b);
    if (p <= a && q <= b)
        return true;
    if (p <= a || q > b)
        return false;
    const double hypot2 = p * p + q * q;
    return b >= (2 * p * q * a + (p * p - q * q) * std::sqrt(hypot2 - a * a)) / hypot2;
}

double longestRoundCorner(double width, double a, double b) {
    if (width > a || width > b)
        return 0;
    // One dip between the two walls: a golden-section search closes on it.
    const auto length = [&](double t) {
        return (a * std::cos(t) + b * std::sin(t) - width) / (std::sin(t) * std::cos(t));
    };
    double low = 1e-6;
    double high = std::numbers::pi / 2 - 1e-6;
    const double g = (std::sqrt(5.0) - 1) / 2;
    for (int i = 0; i < 120; ++i) {
        const double x = high - g * (high - low);
        const double y = low + g * (high - low);
        (length(x) < length(y) ? high : low) = length(x) < length(y) ? y : x;
    }
    return length((low + high) / 2);
}

ThroughDoor throughDoor(const Project& job, const Opening& door, const Size& size) {
    const double wide = (door.width - (door.kind == OpeningKind::door ? leafTakes : Length{})).mm();
    const double high = door.height.mm();
    const auto beyond = depthBeyond(job, door);
    const std::array<double, 3> d{size.width.mm(), size.depth.mm(), size.height.mm()};
    struct Way {
        int up;   ///< which of its sizes stands upright
        int side; ///< which goes across the door
        int on;   ///< which goes in first
        const char* words;
    };
    // As it stands first: that is the easiest to carry.
    constexpr std::array<Way, 6> ways{{{2, 1, 0, "as it stands, end first"},
                                       {2, 0, 1, "as it stands, front first"},
                                       {1, 2, 0, "on its back, end first"},
                                       {0, 1, 2, "on end"},
                                       {0, 2, 1, "on end, side first"},
                                       {1, 0, 2, "on its back, foot first"}}};
    const auto sizeOf = [&](int i) { return d[static_cast<std::size_t>(i)]; };
    const auto turns = [&](const Way& w) {
        // Round into the hall: its width, and the door's.
        return !beyond || sizeOf(w.on) <= beyond->mm() ||
               sizeOf(w.on) <= longestRoundCorner(sizeOf(w.side), beyond->mm(), wide);
    };
    ThroughDoor out;
    const char* stuckInTurn = nullptr;
    for (const bool tilted : {false, true}) {
        for (const Way& w : ways) {
            const bool in = tilted ? rectangleFits(sizeOf(w.up), sizeOf(w.side), high, wide)
                                   : sizeOf(w.up) <= high && sizeOf(w.side) <= wide;
            if (!in)
                continue;
            if (!turns(w)) {
                stuckInTurn = w.words;
                continue;
            }
            out.fits = true;
            out.how = std::string(w.words) + (tilted ? ", tilted" : "");
            if (!beyond)
                out.how += fmt::format("; what lies beyond {} is not taped", door.name());
            return out;
        }
    }
    if (stuckInTurn != nullptr) {
        out.how =
            fmt::format("it goes through the door {}, but not round: the room beyond is {} deep",
                        stuckInTurn, write(*beyond, job.notation));
        return out;
    }
    auto sorted = d;
    std::sort(sorted.begin(), sorted.end());
    out.how = fmt::format("its least side is {}, and the door is {} clear",
                          writeGap(Length::millimetres(sorted[0]), job.notation),
                          writeGap(Length::millimetres(wide), job.notation));
    if (sorted[0] <= wide)
        out.how = fmt::format(
            "it needs {} by {} however it is held, and the door is {} by {} clear",
            writeGap(Length::millimetres(sorted[1]), job.notation),
            writeGap(Length::millimetres(sorted[0]), job.notation),
            writeGap(Length::millimetres(wide), job.notation), writeGap(door.height, job.notation));
    return out;
}

} // namespace mezzet
