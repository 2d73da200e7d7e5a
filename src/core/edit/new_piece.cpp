#include "edit/new_piece.h"

#include "edit/landing.h"

#include "geometry/gap.h"
#include "geometry/polygon.h"
#include "scheme/on_wall.h"
#include "scheme/rug.h"

#include <algorithm>
#include <numbers>

namespace mezzet {

namespace {

/// On a wall the figures are width, height and depth.
void giveWallSizes(Piece& p, const std::vector<Length>& sizes) {
    const bool round = p.footprint.form == FootprintForm::oval &&
                       abs(p.kind->size.width - p.kind->size.height) <= quiet;
    // A shelf is called by its length and depth.
    if (p.kind->role == Role::shelf && sizes.size() == 2) {
        p.size.width = sizes[0];
        p.size.depth = sizes[1];
        return;
    }
    // One board: of its two other figures the lesser is how thick it is.
    if (p.kind->role == Role::shelf && sizes.size() == 3 &&
        p.kind->size.height <= Length::inches(3)) {
        p.size.width = sizes[0];
        p.size.depth = std::max(sizes[1], sizes[2]);
        p.size.height = std::min(sizes[1], sizes[2]);
        return;
    }
    if (!sizes.empty())
        p.size.width = sizes[0];
    if (sizes.size() >= 2)
        p.size.height = sizes[1];
    else if (round && sizes.size() == 1)
        p.size.height = sizes[0];
    if (sizes.size() == 3)
        p.size.depth = sizes[2];
}

/// What follows a piece's size: its top, its back, an L's arm.
void followSize(Piece& p, const Size& before) {
    // A table's top is its height; a seat keeps the height of its cushion.
    const auto follow = [&](std::optional<Length>& h) {
        if (h && (abs(*h - before.height) <= quiet || *h > p.size.height))
            h = p.size.height;
    };
    if (isCut(p) && before.width > Length{} && before.depth > Length{} &&
        (p.size.width != before.width || p.size.depth != before.depth)) {
        stretchOutline(p, p.size.width / before.width, p.size.depth / before.depth);
    }
    follow(p.heights.top);
    follow(p.heights.back);
    follow(p.heights.arm);
    if (p.footprint.form == FootprintForm::ell && p.size != before) {
        const auto share = [](Length part, Length whole, Length now) {
            return part * (now / whole);
        };
        if (p.footprint.bodyDepth >= p.size.depth)
            p.footprint.bodyDepth = share(p.footprint.bodyDepth, before.depth, p.size.depth);
        if (p.footprint.armWidth >= p.size.width)
            p.footprint.armWidth = share(p.footprint.armWidth, before.width, p.size.width);
    }
}

} // namespace

void giveSizes(Piece& p, const std::vector<Length>& sizes) {
    if (p.kind->hangs())
        return giveWallSizes(p, sizes);
    const Size before = p.size;
    const bool round = p.kind->footprint.form == FootprintForm::oval &&
                       abs(p.kind->size.width - p.kind->size.depth) <= quiet;
    if (sizes.size() == 1) {
        p.size.width = sizes[0];
        if (round)
            p.size.depth = sizes[0];
    } else if (sizes.size() >= 2) {
        p.size.width = sizes[0];
        // A round piece takes a diameter and a height when two figures can't be its plan.
        if (round && sizes.size() == 2 && abs(sizes[0] - sizes[1]) > quiet) {
            p.size.depth = sizes[0];
            p.size.height = sizes[1];
        } else {
            p.size.depth = sizes[1];
        }
    }
    if (sizes.size() == 3)
        p.size.height = sizes[2];
    followSize(p, before);
}

void giveSize(Piece& p, const Size& size) {
    const Size before = p.size;
    p.size = size;
    if (!p.kind->hangs())
        followSize(p, before);
}

std::optional<Piece> roundOne(const Piece& p, bool isNew, const Kit& kit) {
    const auto isRound = [](const Kind& k) {
        return k.footprint.form == FootprintForm::oval &&
               abs(k.size.width - (k.hangs() ? k.size.height : k.size.depth)) <= quiet;
    };
    if (isRound(*p.kind))
        return p;
    const auto round = kit.byWord("round " + p.kind->name);
    if (!isNew || !round || !isRound(*round))
        return {};
    Piece out = pieceOf(round);
    out.name = p.name;
    out.pose = p.pose;
    return out;
}

bool standsFree(const FloorView& scene, const Piece& p, const Pose& pose) {
    const Shape s = placed(p.shape(), pose);
    if (!scene.room->holds(pose.at))
        return false;
    for (std::size_t i = 0; i < scene.room->stretches(); ++i) {
        const Wall w = scene.room->stretchAt(i);
        if (gapBetween(s, stretch({w.start, w.end})).apart <= quiet)
            return false;
    }
    for (const auto& f : scene.room->fixtures)
        if (f.takesFloor() && gapBetween(s, solid(*scene.room, f)).apart <= quiet)
            return false;
    for (std::size_t i = 0; i < scene.placed.size(); ++i)
        if (scene.placed[i].id != p.id && p.kind->flat() == scene.piece(i).kind->flat() &&
            gapBetween(s, scene.placed[i].shape).apart <= quiet)
            return false;
    return true;
}

namespace {

/// A piece in the corner before a wall, along that or along the one before it, a hair off both.
Pose inTheCorner(const Room& room, std::size_t corner, bool alongNext, const Piece& p) {
    constexpr double hair = 0.5; // where it would touch them
    const auto& walls = room.walls;
    const Wall& next = walls[corner];
    const Wall& w = alongNext ? next : walls[(corner + walls.size() - 1) % walls.size()];
    const Vec2 away = alongNext ? w.along() : -w.along();
    // Its right is along the wall.
    return {next.start + away * (p.size.width.mm() / 2 + hair) +
                w.inward() * (p.size.depth.mm() / 2 + hair),
            directionOf(w.along())};
}

/// As freeCorner, or the one nearest to a place that is told.
std::optional<Target> cornerFree(const Scene& scene, const Piece& p, std::optional<Vec2> by) {
    const FloorView floor(scene);
    const auto& walls = scene.room->walls;
    const std::size_t n = walls.size();
    std::optional<Target> best;
    double least = 0;
    for (std::size_t i = scene.room->closed ? 0 : 1; i < n; ++i) {
        const Wall& next = walls[i];
        const Wall& before = walls[(i + n - 1) % n];
        if (cross(before.along(), next.along()) <= 0)
            continue;
        for (const bool alongNext : {true, false}) {
            const Pose pose = inTheCorner(*scene.room, i, alongNext, p);
            if (!standsFree(floor, p, pose))
                continue;
            const Vec2 from = by ? *by : p.id != 0 ? p.pose.at : scene.room->middle();
            // Of a new one: the corner farthest from what stands.
            double near = 1e9;
            for (std::size_t k = 0; k < floor.placed.size(); ++k)
                if (floor.placed[k].id != p.id && !floor.piece(k).kind->flat())
                    near = std::min(
                        near,
                        gapBetween(placed(p.shape(), pose), floor.placed[k].shape).apart.mm());
            for (const Opening& o : scene.room->openings)
                if (o.kind != OpeningKind::window) {
                    const Wall& ow = walls[static_cast<std::size_t>(o.wall)];
                    near = std::min(
                        near, norm(ow.start + ow.along() * (o.left + o.width / 2).mm() - pose.at));
                }
            // Beside a door it stands where that is left free, if it can.
            constexpr double last = 1e10;
            const double kept = (by || p.id == 0) && !clearOf(scene, p, pose, true) ? last : 0;
            const double cost = (by || p.id != 0 ? norm(pose.at - from) : -near) + kept;
            if (best && cost >= least)
                continue;
            Target t;
            t.is = Target::Is::corner;
            t.index = static_cast<int>(i);
            t.alongNext = alongNext;
            best = t;
            least = cost;
        }
    }
    return best;
}

} // namespace

std::optional<Target> freeCorner(const Scene& scene, const Piece& p) {
    return cornerFree(scene, p, {});
}

bool isFreeInCorner(const Scene& scene, const Piece& p, const Target& corner) {
    const Pose pose =
        inTheCorner(*scene.room, static_cast<std::size_t>(corner.index), corner.alongNext, p);
    return standsFree(FloorView(scene), p, pose) && clearOf(scene, p, pose, true);
}

std::optional<Target> freeCornerBy(const Scene& scene, const Piece& p, Vec2 near) {
    return cornerFree(scene, p, near);
}

Vec2 freePlace(const FloorView& scene, const Piece& p, Vec2 wanted) {
    const auto fits = [&](Vec2 at) { return standsFree(scene, p, {at, p.pose.turn}); };
    if (fits(wanted))
        return wanted;
    for (double r = 152.4; r < 6000; r += 152.4) {
        const int around = static_cast<int>(r / 50);
        for (int k = 0; k < around; ++k) {
            const double a = 2 * std::numbers::pi * k / around;
            const Vec2 at = wanted + Vec2{std::cos(a), std::sin(a)} * r;
            if (fits(at))
                return at;
        }
    }
    return wanted + Vec2{152.4, 152.4};
}

Length throughWalls(const FloorView& scene, int piece) {
    const Placed* where = scene.byId(piece);
    return where == nullptr ? Length{}
                            : Length::millimetres(throughWall(*scene.room, where->shape).by);
}

namespace {

/// Where a new piece begins along what no tie fixes: by the middle of the first thing named, or
/// wherever there is room; before what it only looks at.
void beginAt(Piece& p, const std::vector<Tie>& ties, const Scene& scene) {
    constexpr double before = 1524; // mm: a step and a half off what is looked at
    Vec2 wanted = scene.room->middle();
    for (const auto& t : ties) {
        if (t.kind == Tie::Kind::at)
            return;
        if (t.of.is == Target::Is::none)
            continue;
        if (!t.fixesPlace()) {
            if (t.kind == Tie::Kind::facing && t.of.is == Target::Is::piece)
                if (const Placed* other = scene.inPlan(t.of.piece))
                    wanted = frontMiddle(*scene.pieceById(t.of.piece), other->pose) +
                             other->pose.front() * before;
            continue;
        }
        // What hangs on a wall is in no plan; the tie to it is refused afterwards.
        const Placed* other = t.kind == Tie::Kind::fromPiece ? scene.inPlan(t.of.piece) : nullptr;
        p.pose.at = other != nullptr ? frontMiddle(*scene.pieceById(t.of.piece), other->pose)
                                     : middleOf(t.of, scene);
        return;
    }
    // It is free there however it comes to be turned.
    Piece about = p;
    if (!ties.empty()) {
        about.size.width = about.size.depth =
            Length::millimetres(std::hypot(p.size.width.mm(), p.size.depth.mm()));
        about.footprint = {};
    }
    p.pose.at = freePlace(scene, about, wanted);
}

} // namespace

void implyTies(Piece& p, std::vector<Tie>& ties, const Scene& scene) {
    const Tie* by = nullptr;
    // What lights a room hangs in the middle of it, where nothing hangs yet.
    if (p.kind->underCeiling() && p.kind->light &&
        std::none_of(ties.begin(), ties.end(),
                     [](const Tie& t) { return t.fixesAcross() || t.of.is != Target::Is::none; }) &&
        std::none_of(scene.scheme->pieces.begin(), scene.scheme->pieces.end(),
                     [](const Piece& o) { return o.kind->underCeiling(); })) {
        Tie middle;
        middle.kind = Tie::Kind::centredOn;
        middle.of = roomTarget();
        ties.push_back(middle);
    }
    // Centred on a wall, what has a back stands at it.
    const Role role = p.kind->role;
    if (ties.size() == 1 && ties.front().kind == Tie::Kind::centredOn &&
        ties.front().of.is == Target::Is::wall && role != Role::lowTable &&
        role != Role::diningTable && !p.kind->flat() && !p.kind->underCeiling()) {
        Tie against;
        against.kind = Tie::Kind::against;
        against.of = ties.front().of;
        ties.push_back(against);
    }
    if (std::any_of(ties.begin(), ties.end(), [](const Tie& t) { return t.fixesTurn(); }))
        return beginAt(p, ties, scene);
    for (const auto& t : ties) {
        if (t.kind == Tie::Kind::fromPiece || t.kind == Tie::Kind::under ||
            (t.kind == Tie::Kind::centredOn && t.of.is == Target::Is::piece)) {
            by = &t;
            break;
        }
    }
    Tie turn;
    if (by != nullptr) {
        const int id = by->kind == Tie::Kind::under ? by->group.front() : by->of.piece;
        const Piece& other = *scene.scheme->byId(id);
        turn.of = pieceTarget(id);
        const bool toTable =
            other.kind->family == Family::table && by->kind == Tie::Kind::fromPiece;
        const bool acrossSeats =
            other.kind->isSeat() && by->kind == Tie::Kind::fromPiece && by->side == Side::front;
        turn.kind = p.kind->isSeat() && p.kind->role != Role::perch && (toTable || acrossSeats)
                        ? Tie::Kind::facing
                        : Tie::Kind::inLineWith;
        ties.push_back(turn);
    } else {
        for (const auto& t : ties) {
            const bool wall = t.kind == Tie::Kind::fromWall && t.to == MeasuredTo::edge &&
                              t.of.is == Target::Is::wall;
            if (wall && p.kind->footprint.form != FootprintForm::oval) {
                // Whoever works at an island stands between it and the wall: its doors are there,
                // and stools on the side of the room.
                turn.kind = p.kind->workedAt && p.kind->family == Family::table
                                ? Tie::Kind::facing
                                : Tie::Kind::squareTo;
                turn.of = t.of;
                ties.push_back(turn);
                break;
            }
        }
    }
    beginAt(p, ties, scene);
}

void centreOverIt(const Piece& p, int wasWall, std::vector<Tie>& ties, const Scene& scene) {
    const Tie* over = nullptr;
    for (const Tie& t : ties) {
        if (t.fixesAcross())
            return;
        if (t.kind == Tie::Kind::above || t.kind == Tie::Kind::below)
            over = &t;
    }
    const auto box = over != nullptr && over->of.is != Target::Is::ceiling
                         ? boxOn(over->of, p.wall(), scene)
                         : std::nullopt;
    const double half = p.size.width.mm() / 2;
    if (!box || (p.wall() == wasWall && p.pose.at.x + half > box->low.x &&
                 p.pose.at.x - half < box->high.x))
        return;
    Tie t;
    t.kind = Tie::Kind::centredOn;
    t.of = over->of;
    ties.push_back(t);
}

void implyWallTies(Piece& p, std::vector<Tie>& ties, const Scene& scene, const Project& job) {
    const bool high =
        std::any_of(ties.begin(), ties.end(), [](const Tie& t) { return t.fixesHeight(); });
    const auto it = p.wall() < static_cast<int>(scene.room->walls.size()) ? p.wall() : 0;
    const double length = scene.room->walls[static_cast<std::size_t>(it)].length().mm();
    p.pose.at = {length / 2, job.room->ceiling.mm() / 2};
    constexpr int none = -1; // it was on no wall yet
    centreOverIt(p, none, ties, scene);
    if (high)
        return;
    Tie t;
    if (p.hanging.mount == Mount::leaned && p.kind->hangAt <= Length{}) {
        // What leans stands on the floor.
        t.kind = Tie::Kind::height;
        t.level = Level::bottom;
    } else if (p.kind->hangAt > Length{}) {
        t.kind = Tie::Kind::height;
        t.level = p.kind->hangBy;
        t.distance = p.kind->hangAt;
    } else {
        t.kind = Tie::Kind::eyeLevel;
        t.distance = eyeLevel(*job.library.book, job.judgement);
    }
    ties.push_back(t);
}

} // namespace mezzet
