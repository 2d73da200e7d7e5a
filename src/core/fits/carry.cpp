// Whether a piece comes in: doors, and the turn beyond them.
#include "fits/fits.h"
#include "fits/tip.h"

#include "geometry/gap.h"
#include "geometry/lane.h"
#include "geometry/polygon.h"
#include "judge/at_table.h"
#include "measure/texts.h"
#include "room/house.h"

#include <algorithm>
#include <array>
#include <cmath>
#include <numbers>

namespace mezzet {

namespace {

/// What a door's leaf, standing open, and its stops take off its width.
constexpr Length leafTakes = Length::inches(2);

/// How thick a wall with its jambs is taken to be.
constexpr Length jambs = Length::inches(5);

/// The back of a seat, as a share of its depth; nobody measures it.
constexpr double backShare = 0.25;

/// The least turn, to a degree, at which a flat outline stands in a doorway; empty when none does.
std::optional<int> tippedBy(const std::vector<Vec2>& outline, double wide, double high,
                            std::vector<Vec2>* as) {
    for (int degrees = 0; degrees < 360; ++degrees) {
        // To either side, the smaller turns first.
        const double a = (degrees % 2 == 0 ? 1 : -1) * ((degrees + 1) / 2) * std::numbers::pi / 180;
        Box b;
        std::vector<Vec2> turnedTo;
        for (const Vec2 p : outline) {
            turnedTo.push_back(
                {p.x * std::cos(a) - p.y * std::sin(a), p.x * std::sin(a) + p.y * std::cos(a)});
            b.include(turnedTo.back());
        }
        if (b.size().x > wide || b.size().y > high)
            continue;
        for (Vec2& p : turnedTo)
            p = p - b.low + Vec2{(wide - b.size().x) / 2, 0};
        *as = std::move(turnedTo);
        return (degrees + 1) / 2;
    }
    return {};
}

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

std::vector<CarryPart> partsToCarry(const Piece& p, Length legs) {
    const auto mm = [](double v) { return Length::millimetres(v); };
    if (p.kind->role == Role::bed) {
        const Length high = p.heights.back.value_or(std::max(p.size.height, Length::inches(40)));
        return {{"the mattress", {p.size.width, p.size.depth, Length::inches(10)}},
                {"the headboard", {p.size.width, Length::inches(4), high}},
                {"the rails", {Length::inches(2), p.size.depth, Length::inches(8)}}};
    }
    CarryPart whole{{}, p.size};
    const Length off = std::min(legs, p.size.height / 2);
    whole.size.height = p.size.height - off;
    if (p.footprint.form == FootprintForm::ell)
        for (const Vec2 c : outline(p.shape(), mm(4)))
            whole.above.push_back(c);
    if (isLounge(p)) {
        const double d = p.size.depth.mm();
        const double h = whole.size.height.mm();
        const double seat =
            std::max(p.heights.seat.value_or(p.size.height / 2), p.heights.arm.value_or(Length{}))
                .mm() -
            off.mm();
        const double back = p.footprint.form == FootprintForm::ell ? d : d * backShare;
        if (seat > 0 && seat < h && back < d)
            whole.side = {{0, 0}, {d, 0}, {d, seat}, {back, seat}, {back, h}, {0, h}};
    }
    return {whole};
}

ThroughDoor throughDoor(const Project& job, const Opening& door, const Size& size) {
    return throughDoor(job, door, CarryPart{{}, size});
}

ThroughDoor throughDoor(const Project& job, const Opening& door,
                        const std::vector<CarryPart>& parts) {
    ThroughDoor out;
    out.fits = true;
    for (const CarryPart& part : parts) {
        auto one = throughDoor(job, door, part);
        if (parts.size() == 1)
            return one;
        if (!one.fits)
            return {false, worded("taken apart, {} doesn't: {}", part.name, one.how)};
        if (out.how.empty())
            out = std::move(one);
    }
    out.how = worded("taken apart, {} {}", parts.front().name, out.how);
    return out;
}

ThroughDoor throughDoor(const Project& job, const Opening& door, const CarryPart& part) {
    const Size& size = part.size;
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
                out.how += worded("; what lies beyond {} is not taped", door.name());
            return out;
        }
    }
    // Round what lies beyond it is turned only where there is room for it.
    const auto roomToTurn = [&](double needs) { return !beyond || needs <= beyond->mm(); };
    const auto notTaped = [&] {
        return beyond ? std::string() : worded("; what lies beyond {} is not taped", door.name());
    };
    if (!part.side.empty()) {
        std::vector<Vec2> stands;
        if (const auto by = tippedBy(part.side, wide, high, &stands); by && turns({0, 1, 0, ""})) {
            out.fits = true;
            out.how = worded("end first, tipped on its back by {}°{}", *by, notTaped());
            out.steps = {stands};
            out.gap = wide;
            out.high = high;
            return out;
        }
    }
    struct Flat {
        const std::vector<Vec2>* outline;
        double upright;
        const char* words;
    };
    for (const Flat& f :
         {Flat{&part.side, size.width.mm(),
               "on end, its seat first and its back hooked round the jamb"},
          Flat{&part.above, size.height.mm(),
               "as it stands, one arm first and the other hooked round the jamb"}}) {
        if (f.outline->empty() || f.upright > high)
            continue;
        Box b;
        for (const Vec2 p : *f.outline)
            b.include(p);
        if (!roomToTurn(norm(b.size())))
            continue;
        auto tipped = tipThrough(*f.outline, wide, jambs.mm());
        if (!tipped.passes)
            continue;
        out.fits = true;
        out.how = f.words + notTaped();
        out.steps = std::move(tipped.steps);
        out.gap = wide;
        return out;
    }
    if (stuckInTurn != nullptr) {
        out.how = worded("it goes through the door {}, but not round: the room beyond is {} deep",
                         stuckInTurn, write(*beyond, job.notation));
        return out;
    }
    auto sorted = d;
    std::sort(sorted.begin(), sorted.end());
    out.how = worded("its least side is {}, and the door is {} clear",
                     writeGap(Length::millimetres(sorted[0]), job.notation),
                     writeGap(Length::millimetres(wide), job.notation));
    if (sorted[0] <= wide)
        out.how = worded("it needs {} by {} however it is held, and the door is {} by {} clear",
                         writeGap(Length::millimetres(sorted[1]), job.notation),
                         writeGap(Length::millimetres(sorted[0]), job.notation),
                         writeGap(Length::millimetres(wide), job.notation),
                         writeGap(door.height, job.notation));
    return out;
}

} // namespace mezzet
