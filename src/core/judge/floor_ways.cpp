#include "judge/floor_ways.h"

#include "geometry/gap.h"
#include "geometry/polygon.h"
#include "judge/at_table.h"
#include "judge/near.h"

#include <algorithm>
#include <cmath>

namespace mezzet {

namespace {

/// The doorway number of goals, well past those of the room's openings.
constexpr int goalDoorway = 100000;

class Floor {
public:
    Floor(const FloorView& scene, const FloorWaysAsked& asked) : scene_(scene), asked_(asked) {
        walls();
        leaves();
        for (const Fixture& f : scene.room->fixtures)
            if (f.takesFloor())
                add(solid(*scene.room, f), targetOf(f));
        for (std::size_t i = 0; i < scene.placed.size(); ++i) {
            const Piece& p = scene.piece(i);
            if (p.kind->takesFloor())
                add(standing(i), pieceTarget(p.id));
        }
    }

    std::vector<Block> blocks;
    std::vector<Target> owners;
    std::vector<Vec2> thresholds; ///< by opening

private:
    [[nodiscard]] Shape standing(std::size_t i) const {
        if (asked_.chairsOut && scene_.piece(i).kind->role == Role::diningChair)
            if (const auto table = tableOf(scene_, i, asked_.atTable))
                return inUse(scene_, i, *table, asked_.behind);
        return scene_.placed[i].shape;
    }

    void add(const Shape& s, const Target& what, std::array<int, 2> frames = {-1, -1}) {
        for (const Convex& part : s.all())
            blocks.push_back(
                {part, static_cast<int>(owners.size()), frames, what.is != Target::Is::piece});
        owners.push_back(what);
    }
    void wall(Vec2 from, Vec2 to, const Target& what, std::array<int, 2> frames) {
        if (norm(to - from) > 0.5)
            add(stretch({from, to}), what, frames);
    }

    /// The walls' faces, open at doors and windows. Behind each is a niche as deep as it is wide,
    /// so that nobody walks round by the outside.
    void walls() {
        const Room& room = *scene_.room;
        thresholds.resize(room.openings.size());
        for (std::size_t i = 0; i < room.stretches(); ++i) {
            const Wall w = room.stretchAt(i);
            const Target what = wallTarget(room.edgeWall[i]);
            Vec2 at = w.start;
            int last = -1;
            for (const Opening* o : openingsAlong(room, i)) {
                const int doorway = static_cast<int>(o - room.openings.data());
                const Wall& whole = room.walls[static_cast<std::size_t>(o->wall)];
                const Vec2 left = whole.at(o->left);
                const Vec2 right = whole.at(o->left + o->width);
                wall(at, left, what, {last, doorway});
                if (isWayIn(*o)) {
                    const double deep = nicheBehind(i, left, right, -w.inward());
                    const Vec2 out = -w.inward() * deep;
                    thresholds[static_cast<std::size_t>(doorway)] = (left + right) / 2 + out * 0.5;
                    for (const auto& [a, b] :
                         {std::pair{left, left + out}, std::pair{left + out, right + out},
                          std::pair{right + out, right}})
                        wall(a, b, what, {doorway, -1});
                } else {
                    // A window's stretch is wall to all but those who go to the window.
                    wall(left, right, what, {doorway, -1});
                }
                at = right;
                last = doorway;
            }
            wall(at, w.end, what, {last, -1});
        }
    }

    /// How deep the niche behind a doorway may be: as deep as it is wide, and short of any other
    /// wall of the room.
    [[nodiscard]] double nicheBehind(std::size_t own, Vec2 left, Vec2 right, Vec2 out) const {
        double deep = norm(right - left);
        for (std::size_t k = 0; k < scene_.room->stretches(); ++k) {
            if (k == own)
                continue;
            const Wall other = scene_.room->stretchAt(k);
            for (const double share : {0.02, 0.5, 0.98}) {
                const Vec2 from = left + (right - left) * share + out * 0.5;
                if (const auto at = crossing({from, from + out * deep}, {other.start, other.end}))
                    deep = std::min(deep, dot(*at - from, out) / 2 + 0.5);
            }
        }
        return deep;
    }

    /// Leaves that swing in stand open, square to their wall, while people go through.
    void leaves() {
        const Room& room = *scene_.room;
        for (std::size_t d = 0; d < room.openings.size(); ++d) {
            const auto swing = doorSwing(room, room.openings[d]);
            if (!swing)
                continue;
            const Vec2 in = room.walls[static_cast<std::size_t>(room.openings[d].wall)].inward();
            for (const Convex& c : swing->all()) {
                if (c.form != Convex::Form::sector)
                    continue;
                const Vec2 one = c.axis;
                const Vec2 other = turned(c.axis, c.sweep);
                const Vec2 open = dot(one, in) > dot(other, in) ? one : other;
                add(stretch({c.points[0], c.points[0] + open * c.radius}),
                    targetOf(room.openings[d]), {static_cast<int>(d), -1});
            }
        }
    }

    const FloorView scene_;
    const FloorWaysAsked& asked_;
};

/// The four corners of a piece's box, clockwise as drawn from its back left.
std::array<Vec2, 4> boxOf(const Piece& p, const Pose& pose) {
    const double w = p.size.width.mm() / 2;
    const double d = p.size.depth.mm() / 2;
    return {pose.toRoom({-w, -d}), pose.toRoom({w, -d}), pose.toRoom({w, d}), pose.toRoom({-w, d})};
}

/// A box open on one side: 0 its back, 1 its right, 2 its front, 3 its left.
void openBox(Goal& g, const std::array<Vec2, 4>& box, std::size_t side, int owner, int doorway) {
    for (std::size_t i = 0; i < 4; ++i)
        if (i != side)
            g.opened.with.push_back({linePart({box[i], box[(i + 1) % 4]}), owner, {doorway, -1}});
    const Vec2 middle = (box[0] + box[2]) / 2;
    const Vec2 face = (box[side] + box[(side + 1) % 4]) / 2;
    g.end = {middle + (face - middle) * 0.5, doorway, false};
    g.opened.without.push_back(owner);
}

} // namespace

bool isWayIn(const Opening& o) {
    return o.kind != OpeningKind::window;
}

int FloorWays::ownerOfPiece(int id) const {
    const auto it = byPiece.find(id);
    return it != byPiece.end() ? it->second : -1;
}

FloorWays floorWays(const FloorView& scene, const FloorWaysAsked& asked) {
    Floor floor(scene, asked);
    std::unordered_map<int, int> byPiece;
    for (std::size_t i = floor.owners.size(); i-- > 0;)
        if (floor.owners[i].is == Target::Is::piece)
            byPiece[floor.owners[i].piece] = static_cast<int>(i);
    return {std::move(floor.owners), std::move(floor.thresholds),
            WayFinder(std::move(floor.blocks), asked.widest), std::move(byPiece)};
}

std::vector<Goal> goalsOf(const FloorView& scene, const FloorWays& ways, Length reachOver) {
    std::vector<Goal> out;
    int doorway = goalDoorway;
    const Room& room = *scene.room;
    Near lowTables(scene, [](const Piece& p) { return p.kind->role == Role::lowTable; });
    for (std::size_t i = 0; i < scene.placed.size(); ++i) {
        const Piece& p = scene.piece(i);
        const Pose& pose = scene.placed[i].pose;
        if (!p.kind->takesFloor())
            continue;
        const auto box = boxOf(p, pose);
        Goal g;
        g.piece = p.id;
        g.what = pieceTarget(p.id);
        const int owner = ways.ownerOfPiece(p.id);
        const auto reach = [&](std::size_t side, int part) {
            Goal one = g;
            one.part = part;
            openBox(one, box, side, owner, ++doorway);
            out.push_back(std::move(one));
        };
        if (isLounge(p)) {
            // Between a seat and the low table it faces there is room for knees, and one sidles in.
            for (const std::size_t k : lowTables.to(scene.placed[i].shape, reachOver))
                if (dot(scene.placed[k].pose.at - pose.at, pose.front()) > 0 &&
                    gapBetween(scene.placed[i].shape, scene.placed[k].shape).apart <= reachOver)
                    g.opened.without.push_back(ways.ownerOfPiece(scene.placed[k].id));
            if (p.footprint.form == FootprintForm::ell) {
                // The inner corner of an L: what is open is the floor between its two parts.
                g.end = {frontMiddle(p, pose) - pose.front() * (p.footprint.bodyDepth.mm() / 4),
                         ++doorway, false};
                const auto edge = frontEdge(p, pose);
                const Vec2 back = -pose.front() * (p.footprint.bodyDepth.mm() / 2);
                const Shape& whole = scene.placed[i].shape;
                g.opened.without.push_back(owner);
                const std::array<Vec2, 4> seat{edge.from + back, edge.to + back, edge.to,
                                               edge.from};
                for (std::size_t k = 0; k < 4; ++k)
                    if (k != 2)
                        g.opened.with.push_back(
                            {linePart({seat[k], seat[(k + 1) % 4]}), owner, {doorway, -1}});
                // Its arm stays in the way of others.
                for (const Convex& c : whole.all())
                    if (gapBetween(c, pointPart(g.end.at)).apart > Length{})
                        g.opened.with.push_back({c, owner, {doorway, -1}});
                out.push_back(std::move(g));
            } else {
                reach(2, 0);
            }
        } else if (p.kind->role == Role::diningChair) {
            // A chair is drawn out from whichever side one gets to it.
            Goal one = g;
            one.opened.without.push_back(owner);
            one.end = {pose.at, -1, false};
            out.push_back(std::move(one));
        } else if (p.kind->role == Role::bed) {
            // Two sleepers get in at either side, one at whichever side is the better; a daybed
            // from its front.
            if (p.size.width > p.size.depth)
                reach(2, 0);
            else {
                reach(3, 1);
                reach(1, 2);
            }
        } else if (p.kind->family == Family::storage && p.kind->use.front > Length{}) {
            reach(2, 0);
        }
    }
    for (std::size_t k = 0; k < room.openings.size(); ++k) {
        const Opening& o = room.openings[k];
        if (o.kind != OpeningKind::window || o.opens == WindowOpens::fixed)
            continue;
        Goal g;
        g.what = targetOf(o);
        const Wall& w = room.walls[static_cast<std::size_t>(o.wall)];
        g.end = {middleOf(room, o) + w.inward() * 1.0, static_cast<int>(k), false};
        // What is lower than the sill, and not too deep, is leaned over.
        const Shape face = stretch({w.at(o.left), w.at(o.left + o.width)});
        for (std::size_t i = 0; i < scene.placed.size(); ++i) {
            const Piece& p = scene.piece(i);
            // A seat or a bed under it one kneels on.
            const bool knelt = isLounge(p) || p.kind->role == Role::bed;
            // At a desk one sits before the window, and opens it over the desk.
            const bool satAt = p.kind->isSatInTo();
            if (p.kind->flat() || !(knelt || satAt || p.size.height <= o.sill) ||
                fartherThan(scene.placed[i].shape, face, reachOver) ||
                (!knelt && !satAt &&
                 extent(scene.placed[i].shape, w.inward()) - dot(w.start, w.inward()) >
                     reachOver.mm()))
                continue;
            const auto opens = [&](int id) {
                if (const int owner = ways.ownerOfPiece(id); owner >= 0)
                    g.opened.without.push_back(owner);
            };
            opens(p.id);
            for (std::size_t c = 0; satAt && c < scene.placed.size(); ++c)
                if (seatedAt(scene, c, i, reachOver))
                    opens(scene.piece(c).id);
        }
        out.push_back(std::move(g));
    }
    for (const Fixture& f : room.fixtures) {
        if (f.kind != FixtureKind::builtIn || f.up > Length::inches(30) || !f.takesFloor())
            continue;
        const Wall& w = room.walls[static_cast<std::size_t>(f.wall)];
        Goal g;
        g.what = targetOf(f);
        const Vec2 deep = w.inward() * f.depth.mm();
        const Vec2 l = w.at(f.left);
        const Vec2 r = w.at(f.left + f.width);
        for (std::size_t i = 0; i < ways.owners.size(); ++i)
            if (ways.owners[i] == g.what)
                openBox(g, {l, r, r + deep, l + deep}, 2, static_cast<int>(i), ++doorway);
        if (!g.opened.without.empty())
            out.push_back(std::move(g));
    }
    return out;
}

} // namespace mezzet
