// Sofas, rugs, where a piece can stand, and whether one seen in a shop fits.
#include "fits/fits.h"

#include "edit/landing.h"
#include "fits/regions.h"
#include "fits/trying.h"
#include "geometry/gap.h"
#include "geometry/polygon.h"
#include "geometry/stretches.h"
#include "judge/at_table.h"
#include "judge/floor_ways.h"
#include "judge/guard.h"
#include "measure/text.h"
#include "measure/texts.h"
#include "room/facts.h"
#include "scheme/on_wall.h"
#include "scheme/spoken.h"

#include <algorithm>
#include <array>
#include <cmath>

namespace mezzet {

namespace {

/// A new piece against a wall, its middle so far along it, mm.
Piece againstWall(const Project& job, const KindPtr& kind, int wall, double middle, Length wide,
                  double depth) {
    const Wall& w = job.room->walls[static_cast<std::size_t>(wall)];
    Piece p = pieceOf(kind);
    p.size.width = wide;
    p.size.depth = Length::millimetres(depth);
    p.name = job.scheme().freeName(kind->name);
    Tie against;
    against.kind = Tie::Kind::against;
    against.of = wallTarget(wall);
    Tie centred;
    centred.kind = Tie::Kind::centredOn;
    centred.of = against.of;
    centred.distance = Length::millimetres(middle - w.length().mm() / 2);
    p.ties = {against, centred};
    p.pose.at = w.at(Length::millimetres(middle)) + w.inward() * depth / 2;
    return p;
}

} // namespace

std::vector<Stretch> freeAlong(const Scene& scene, int wall, double depth,
                               std::optional<Length> high, int but) {
    const Room& room = *scene.room;
    const Wall& w = room.walls[static_cast<std::size_t>(wall)];
    std::vector<Stretch> taken;
    const std::array<Vec2, 4> strip{w.start, w.end, w.end + w.inward() * depth,
                                    w.start + w.inward() * depth};
    const Shape zone = convexPolygon(strip);
    const auto block = [&](const Shape& s) {
        for (const Convex& c : s.all()) {
            if (gapBetween(zone.parts[0], c).depth <= Length::millimetres(0.01))
                continue;
            if (const auto span = spanInStrip(c, w, depth))
                taken.push_back(*span);
        }
    };
    const FloorView floor(scene);
    for (std::size_t i = 0; i < floor.placed.size(); ++i)
        if (!floor.piece(i).kind->flat() && floor.piece(i).id != but)
            block(floor.placed[i].shape);
    for (const Fixture& f : room.fixtures)
        if (f.takesFloor())
            block(solid(room, f));
    for (const Opening& o : room.openings) {
        if (const auto swing = doorSwing(room, o))
            block(*swing);
        const bool low = high && o.kind == OpeningKind::window && o.sill < *high;
        if (o.wall == wall && (isWayIn(o) || low))
            taken.emplace_back(o.left.mm(), (o.left + o.width).mm());
    }
    return leftBy(std::move(taken), w.length().mm());
}

FitAnswer widthsThatFit(const Project& job, const Kind& kind, int wall) {
    FitAnswer out;
    const auto scene = sceneOf(job);
    const auto known = job.library.kit->byId(kind.id);
    if (!scene || !known || wall < 0 || wall >= static_cast<int>(job.room->walls.size()))
        return out;
    const std::string& name = job.room->walls[static_cast<std::size_t>(wall)].name;
    const double depth = kind.size.depth.mm();
    auto free = freeAlong(**scene, wall, depth, kind.size.height);
    // A desk a hand wide is none.
    const double least = std::max(Length::inches(10).mm(), kind.size.width.mm() * 0.4);
    std::erase_if(free, [&](const auto& s) { return s.second - s.first < least; });
    std::stable_sort(free.begin(), free.end(), [](const auto& a, const auto& b) {
        return a.second - a.first > b.second - b.first;
    });
    out.yes = !free.empty();
    out.heading = worded("{} on wall {}", kind.name, name);
    if (free.empty()) {
        out.reasons.push_back(worded("No wall is free there for one {} deep.",
                                     writeGap(kind.size.depth, job.notation)));
        return out;
    }
    constexpr std::size_t most = 4;
    for (std::size_t i = 0; i < std::min(most, free.size()); ++i) {
        const auto [from, to] = free[i];
        const Length wide = std::min(kind.size.width, Length::millimetres(to - from));
        FitChoice c;
        const Piece p = againstWall(job, known, wall, (from + to) / 2, wide, depth);
        c.edit.acts.emplace_back(PutPiece{p});
        auto after = apply(job, c.edit);
        if (!after)
            continue;
        c.size = p.size;
        c.pose = after->scene->all.back().pose;
        c.title = worded("up to {} wide", writeGap(spokenDown(job, to - from), job.notation));
        c.detail = worded("{} from the wall's left end",
                          writeGap(Length::millimetres(from), job.notation));
        c.edit.words =
            worded("try a {} {} wide", smallFirst(kind.name), writeGap(wide, job.notation));
        out.choices.push_back(std::move(c));
    }
    return out;
}

FitAnswer sofasThatFit(const Project& job, int wall, const GoesOn& goesOn) {
    FitAnswer out;
    const auto scene = sceneOf(job);
    const auto kind = job.library.kit->byId("sofa");
    if (!scene || !kind || wall < 0 || wall >= static_cast<int>(job.room->walls.size()))
        return out;
    const Wall& w = job.room->walls[static_cast<std::size_t>(wall)];
    out.heading = worded("The longest sofas on wall {}", w.name);
    const auto base = baseWithout(job, {});
    if (!base)
        return out;
    const Rule* scale = job.library.book->byId("scale");
    const double share = scale != nullptr ? job.judgement.bandOf(*scale).high.value_or(1) : 1;
    const bool metric = isMetric(job.notation.units);
    for (const double depth :
         metric ? std::vector<double>{1000, 900, 800} : std::vector<double>{965.2, 914.4, 838.2}) {
        if (goesOn && !goesOn()) {
            out.stopped = true;
            break;
        }
        const Stretch widest = widestOf(freeAlong(**scene, wall, depth, {}));
        double length = std::min(widest.second - widest.first, share * w.length().mm());
        for (int tries = 0; tries < 12 && length > 1200; ++tries, length -= metric ? 100 : 101.6) {
            const Piece p = againstWall(job, kind, wall, (widest.first + widest.second) / 2,
                                        spokenDown(job, length), depth);
            FitChoice c;
            c.edit.acts.emplace_back(PutPiece{p});
            auto after = apply(job, c.edit);
            if (!after)
                break;
            if (!upsetBy(*base, *after, judgedAfter(*after)).empty())
                continue;
            c.size = p.size;
            c.pose = after->scene->all.back().pose;
            c.seats = seatsOf(p, Length::millimetres(settingOf(job, "seats-count", "each")),
                              Length::millimetres(settingOf(job, "seats-count", "arms")));
            c.title = worded("{} x {}", writeBare(p.size.width, job.notation),
                             writeBare(p.size.depth, job.notation));
            c.detail =
                worded("seats {}, {} of {} free", c.seats, writeGap(p.size.width, job.notation),
                       writeGap(Length::millimetres(widest.second - widest.first), job.notation));
            c.edit.words = worded("try a sofa {}", c.title);
            out.choices.push_back(std::move(c));
            break;
        }
    }
    out.yes = !out.choices.empty();
    if (out.choices.empty() && !out.stopped)
        out.reasons.push_back(worded(
            "No sofa of {} or more stands on wall {} without upsetting something.",
            writeGap(metric ? Length::centimetres(120) : Length::feet(4), job.notation), w.name));
    return out;
}

FitAnswer whereItStands(const Project& job, const Piece& piece, const GoesOn& goesOn) {
    FitAnswer out;
    const auto scene = sceneOf(job);
    if (!scene)
        return out;
    out.heading = worded("Where {} {} can stand", foldCase(piece.kind->name),
                         footprintWords(piece, job.notation));
    const Room& room = *job.room;
    // Square to each direction of the walls, each turn once.
    std::vector<double> turns;
    for (const Wall& w : room.walls) {
        const double t = w.direction().normalised().inDegrees();
        if (std::none_of(turns.begin(), turns.end(),
                         [&](double x) { return std::abs(std::remainder(x - t, 360.0)) < 0.5; }))
            turns.push_back(t);
    }
    const bool round = piece.footprint.form == FootprintForm::oval &&
                       abs(piece.size.width - piece.size.depth) <= quiet &&
                       piece.kind->use.front <= Length{};
    if (round) // every turn of it is the same
        turns.resize(std::min<std::size_t>(turns.size(), 1));
    for (const double t : turns) {
        if (goesOn && !goesOn()) {
            out.stopped = true;
            return out;
        }
        auto region = allowedRegion(**scene, piece, Angle::degrees(t));
        if (!region.outlines.empty())
            out.regions.push_back(std::move(region));
    }
    out.yes = !out.regions.empty();
    if (!out.yes)
        out.reasons.push_back("Nowhere: it would stand in something, or could not be used.");
    else
        out.reasons.push_back(
            worded("Its middle may lie anywhere in the marked part, {} of the room's {}.",
                   writeArea(areaOfAll(out.regions), job.notation.units),
                   writeArea(room.floorArea(), job.notation.units)));
    return out;
}

namespace {

/// A place to try, with what holds it there.
struct Place {
    Pose pose;
    std::vector<Tie> ties;
    double preference = 0; ///< less is better, of places that upset as little
};

bool holds(const AllowedRegion& r, Vec2 p) {
    const auto in = [&](const auto& ring) { return insideOutline(ring, p); };
    return std::any_of(r.outlines.begin(), r.outlines.end(), in) &&
           std::none_of(r.holes.begin(), r.holes.end(), in);
}

bool standsAtWall(const Kind& k) {
    return k.family == Family::storage || k.family == Family::sleep || k.family == Family::screen ||
           k.role == Role::sofa || k.role == Role::desk;
}

/// With its back to a wall: in the middle of each free stretch of it, in the middle of the wall
/// where that is free, and at the stretch's ends.
void placesAtWalls(const Room& room, const Piece& p, const std::vector<AllowedRegion>& regions,
                   std::vector<Place>& out) {
    const double deep = p.size.depth.mm() / 2;
    for (std::size_t k = 0; k < room.walls.size(); ++k) {
        const Wall& w = room.walls[k];
        for (const AllowedRegion& r : regions) {
            if (std::abs(std::remainder(r.turn.inDegrees() - w.direction().inDegrees(), 360.0)) >
                0.5)
                continue;
            for (const auto* rings : {&r.outlines, &r.holes})
                for (const auto& ring : *rings)
                    for (std::size_t i = 0; i < ring.size(); ++i) {
                        const Vec2 a = ring[i] - w.start;
                        const Vec2 b = ring[(i + 1) % ring.size()] - w.start;
                        if (std::abs(dot(a, w.inward()) - deep) > 0.5 ||
                            std::abs(dot(b, w.inward()) - deep) > 0.5)
                            continue;
                        const double from = std::min(dot(a, w.along()), dot(b, w.along()));
                        const double to = std::max(dot(a, w.along()), dot(b, w.along()));
                        const double length = w.length().mm();
                        if (to - from < 1 || to < 0 || from > length)
                            continue;
                        const double inset = std::min(0.5, (to - from) / 2);
                        std::vector<std::pair<double, double>> tries{
                            {(from + to) / 2, 1}, {from + inset, 3}, {to - inset, 3}};
                        if (from < length / 2 && length / 2 < to)
                            tries.push_back({length / 2, 0});
                        for (const auto& [s, rank] : tries) {
                            Tie against;
                            against.kind = Tie::Kind::against;
                            against.of = wallTarget(static_cast<int>(k));
                            Place place{
                                {w.at(Length::millimetres(s)) + w.inward() * deep, w.direction()},
                                {against},
                                rank};
                            // Before a window only when nothing else is to be had.
                            for (const Opening& o : room.openings)
                                if (o.wall == static_cast<int>(k) &&
                                    o.kind == OpeningKind::window && p.size.height > o.sill &&
                                    s + p.size.width.mm() / 2 > o.left.mm() &&
                                    s - p.size.width.mm() / 2 < (o.left + o.width).mm())
                                    place.preference += 10;
                            place.preference -= std::min(to - from, 3000.0) / 3000;
                            out.push_back(std::move(place));
                        }
                    }
        }
    }
}

/// Beside a seat, at either end; or in a corner.
void placesBesideSeats(const FloorView& scene, const Piece& p,
                       const std::vector<AllowedRegion>& regions, std::vector<Place>& out) {
    for (std::size_t i = 0; i < scene.placed.size(); ++i) {
        const Piece& seat = scene.piece(i);
        if (!isLounge(seat))
            continue;
        const Pose& pose = scene.placed[i].pose;
        for (const double side : {1.0, -1.0}) {
            const Length gap = Length::inches(2);
            Place place;
            place.pose.turn = pose.turn;
            place.pose.at =
                pose.toRoom({side * ((seat.size.width + p.size.width) / 2 + gap).mm(), 0});
            if (std::none_of(regions.begin(), regions.end(),
                             [&](const AllowedRegion& r) { return holds(r, place.pose.at); }))
                continue;
            Tie beside;
            beside.kind = Tie::Kind::fromPiece;
            beside.of = pieceTarget(seat.id);
            // As one faces it, its left is where x grows.
            beside.side = side > 0 ? Side::left : Side::right;
            beside.distance = gap;
            Tie centred;
            centred.kind = Tie::Kind::centredOn;
            centred.of = beside.of;
            centred.side = beside.side;
            Tie turn;
            turn.kind = Tie::Kind::inLineWith;
            turn.of = beside.of;
            place.ties = {turn, beside, centred};
            out.push_back(std::move(place));
        }
    }
}

/// Anywhere in the open: the middle of each region, of its edges, and its corners.
void placesInTheOpen(const std::vector<AllowedRegion>& regions, double middleFirst,
                     std::vector<Place>& out) {
    for (const AllowedRegion& r : regions) {
        Tie turn;
        turn.kind = Tie::Kind::turned;
        turn.turn = r.turn;
        for (const auto& ring : r.outlines) {
            const auto add = [&](Vec2 at, double preference) {
                out.push_back({{at, r.turn}, {turn}, preference});
            };
            // Of a region that is hollow the middle may lie outside.
            if (const Vec2 middle = centroid(ring); holds(r, middle))
                add(middle, 20 - middleFirst);
            for (std::size_t i = 0; i < ring.size(); ++i) {
                const Vec2 a = ring[i];
                const Vec2 b = ring[(i + 1) % ring.size()];
                if (norm(b - a) > 100)
                    add((a + b) / 2, 22);
                add(a, 21);
            }
        }
    }
}

/// The places a decorator would try for such a piece, the likeliest first.
std::vector<Place> placesFor(const FloorView& scene, const Piece& p,
                             const std::vector<AllowedRegion>& regions) {
    std::vector<Place> out;
    const Kind& k = *p.kind;
    const bool small = k.role == Role::sideTable || k.role == Role::lamp || k.role == Role::perch ||
                       k.family == Family::plant;
    if (small)
        placesBesideSeats(scene, p, regions, out);
    if (standsAtWall(k) || k.role == Role::armchair || small)
        placesAtWalls(*scene.room, p, regions, out);
    placesInTheOpen(regions, k.isSatInTo() || k.role == Role::lowTable ? 15 : 0, out);
    std::stable_sort(out.begin(), out.end(),
                     [](const Place& a, const Place& b) { return a.preference < b.preference; });
    return out;
}

} // namespace

FitAnswer fitsThere(const Project& job, const Edit& placing, int id) {
    FitAnswer out;
    const auto base = baseWithout(job, {});
    const auto after = apply(job, placing);
    if (!base || !after) {
        out.heading = "No";
        out.reasons.push_back(after ? "" : after.problem().what);
        return out;
    }
    const Piece& p = *after->scene->pieceById(id);
    const auto judged = judgedAfter(*after);
    if (auto harm = harmOf(*after->project, *after->scene, {id}); !harm.empty())
        out.reasons.push_back(std::move(harm));
    else if (const auto in = overlapOf(*after->scene, id); !in.empty())
        out.reasons.push_back(worded("{} would stand where {} is", p.name, in));
    const bool clear = out.reasons.empty();
    for (auto& u : upsetBy(*base, *after, judged))
        if (clear || out.reasons.size() < 4)
            out.reasons.push_back(std::move(u));
    out.yes = out.reasons.empty();
    out.heading = out.yes ? "Yes, it fits there"
                  : clear ? "It fits, but upsets something"
                          : "No, not there";
    if (!clear)
        return out;
    FitChoice c;
    c.edit = placing;
    c.size = p.size;
    c.pose = after->scene->byId(id)->pose;
    c.title = out.yes ? told("There") : told("There, all the same");
    c.detail = out.yes ? std::string(told("it upsets nothing")) : listed(out.reasons, "and");
    c.edit.words = worded("try {}", p.name);
    out.choices.push_back(std::move(c));
    return out;
}

namespace {

/// "against wall C, 12\" from wall D": by the two walls that are nearest. Empty in an open room.
std::string standsWhere(const Scene& scene, int id, const Wording& say) {
    std::vector<std::string> parts;
    constexpr double touching = 0.5; // mm
    for (const WallNear& near : wallsNear(scene, id)) {
        const auto wall = spoken(wallTarget(near.wall), say);
        if (parts.size() < 2)
            parts.push_back(near.gap.mm() < touching
                                ? worded("against {}", wall)
                                : worded("{} from {}", writeGap(near.gap, say.notation), wall));
    }
    return fmt::format("{}", fmt::join(parts, ", "));
}

} // namespace

FitAnswer doesItFit(const Project& job, const Piece& wanted, const GoesOn& goesOn, Length legs) {
    FitAnswer out = whereItStands(job, wanted, goesOn);
    const auto base = baseWithout(job, {});
    if (!base || out.stopped)
        return out;
    const bool standsSomewhere = out.yes;
    // Each place is judged whole before it is said; the first that upsets nothing is the best.
    std::optional<FitChoice> best;
    double least = 1e300;
    std::vector<std::string> why;
    std::string harm; ///< of the first place that does some
    int tried = 0;
    for (const Place& place : placesFor(*base->scene, wanted, out.regions)) {
        if (++tried > 60 || (goesOn && !goesOn()))
            break;
        Piece p = wanted;
        p.id = 0;
        p.pose = place.pose;
        p.name = job.scheme().freeName(p.kind->name);
        p.ties = place.ties;
        FitChoice c;
        c.edit.acts.emplace_back(PutPiece{p});
        auto after = apply(job, c.edit);
        if (!after)
            continue;
        const auto judged = judgedAfter(*after);
        // What is guarded is never a price.
        if (auto done = harmOf(base->judged, judged, after->project->wording()); !done.empty()) {
            if (harm.empty())
                harm = std::move(done);
            continue;
        }
        const double weight = weightOf(judged.readings);
        const auto upsets = upsetBy(*base, *after, judged);
        if (weight >= least && !(upsets.empty() && !why.empty()))
            continue;
        least = weight;
        why = upsets;
        c.size = p.size;
        c.pose = after->scene->all.back().pose;
        c.title =
            upsets.empty() ? told("The best place for it") : told("The least bad place for it");
        c.detail = upsets.empty() ? std::string(told("it upsets nothing")) : listed(upsets, "and");
        if (const auto where =
                standsWhere(*after->scene, after->scene->all.back().id, after->project->wording());
            !where.empty())
            c.detail = where + "; " + c.detail;
        c.edit.words = worded("try {}", p.name);
        best = std::move(c);
        if (upsets.empty())
            break;
    }
    out.reasons.clear();
    // In through a door.
    bool comesIn = false;
    bool anyDoor = false;
    for (const Opening& o : job.room->openings) {
        // A rug comes in rolled.
        if (!isWayIn(o) || wanted.kind->flat())
            continue;
        anyDoor = true;
        const auto through = throughDoor(job, o, partsToCarry(wanted, legs));
        comesIn = comesIn || through.fits;
        if (through.fits && !through.steps.empty() && out.carry.empty()) {
            out.carry = through.steps;
            out.carryGap = through.gap;
            out.carryHigh = through.high;
            out.carryWords = worded("By {}: {}", o.name(), through.how);
        }
        out.reasons.push_back(
            worded("{} {}: {}.", through.fits ? "In by" : "Not by", o.name(), through.how));
    }
    if (!anyDoor && !wanted.kind->flat())
        out.reasons.push_back("No door is taped, so how it comes in is not known.");
    for (const std::string& u : why)
        out.reasons.push_back(u);
    if (standsSomewhere && !best && !harm.empty())
        out.reasons.push_back("Wherever it has the room, something is in the way: " + harm);
    out.comesIn = comesIn || !anyDoor;
    out.stands = best && out.comesIn;
    out.yes = standsSomewhere && best && why.empty() && (comesIn || !anyDoor);
    out.heading = out.yes                                  ? "Yes, it fits"
                  : standsSomewhere && !comesIn && anyDoor ? "No: it doesn't come in"
                  : best                                   ? "It stands, but upsets something"
                  : standsSomewhere                        ? "No: it would be in the way"
                                                           : "No: there is nowhere to stand it";
    if (best)
        out.choices.push_back(std::move(*best));
    return out;
}

} // namespace mezzet
