// Ways through the room: walkway-main.
#include "geometry/gap.h"
#include "judge/rule_code.h"
#include "ways/widest.h"

#include <algorithm>
#include <array>
#include <set>

namespace mezzet {

namespace {

/// What a block of the ways is: a piece, something built in, a wall, or a door's jamb.
using Owners = std::vector<Target>;

bool isWayIn(const Opening& o) {
    return o.kind != OpeningKind::window;
}

Target targetOf(const Opening& o) {
    Target t;
    t.is = o.kind == OpeningKind::door ? Target::Is::door : Target::Is::opening;
    t.index = o.number;
    return t;
}

/// Everything on the floor that one can't walk through, with what it is.
class Floor {
public:
    explicit Floor(const Scene& scene) : scene_(scene) {
        walls();
        for (const Fixture& f : scene.room->fixtures)
            if (f.takesFloor())
                add(solid(*scene.room, f), mezzet::targetOf(f));
        for (std::size_t i = 0; i < scene.placed.size(); ++i)
            if (!scene.piece(i).kind->flat())
                add(scene.placed[i].shape, pieceTarget(scene.placed[i].id));
    }

    [[nodiscard]] std::vector<Block> takeBlocks() { return std::move(blocks_); }
    [[nodiscard]] const Target& owner(const Block& b) const {
        return owners_[static_cast<std::size_t>(b.owner)];
    }

private:
    void add(const Shape& s, const Target& what, std::array<int, 2> frames = {-1, -1}) {
        for (const Convex& part : s.all())
            blocks_.push_back({part, static_cast<int>(owners_.size()), frames});
        owners_.push_back(what);
    }
    void wall(Vec2 from, Vec2 to, const Target& what, std::array<int, 2> frames) {
        if (norm(to - from) > 0.5)
            add(stretch({from, to}), what, frames);
    }

    /// The walls' faces, open at doors. Behind each door is a niche as deep as it is wide, so that
    /// nobody walks round by the outside.
    void walls() {
        const Room& room = *scene_.room;
        for (std::size_t i = 0; i < room.stretches(); ++i) {
            const Wall w = room.stretchAt(i);
            const Target what = wallTarget(room.edgeWall[i]);
            std::vector<const Opening*> here;
            for (const Opening& o : room.openings)
                if (isWayIn(o) && o.wall == room.edgeWall[i] && onStretch(w, middleOf(room, o)))
                    here.push_back(&o);
            std::sort(here.begin(), here.end(),
                      [](const Opening* a, const Opening* b) { return a->left < b->left; });
            Vec2 at = w.start;
            int last = -1;
            for (const Opening* o : here) {
                const int doorway = static_cast<int>(o - room.openings.data());
                const Wall& whole = room.walls[static_cast<std::size_t>(o->wall)];
                const Vec2 left = whole.at(o->left);
                const Vec2 right = whole.at(o->left + o->width);
                const Vec2 out = -w.inward() * o->width.mm();
                wall(at, left, what, {last, doorway});
                for (const auto& [a, b] :
                     {std::pair{left, left + out}, std::pair{left + out, right + out},
                      std::pair{right + out, right}})
                    wall(a, b, what, {doorway, -1});
                at = right;
                last = doorway;
            }
            wall(at, w.end, what, {last, -1});
        }
    }
    static bool onStretch(const Wall& w, Vec2 p) {
        return norm(p - nearestOn({w.start, w.end}, p)) < 1;
    }

    const Scene& scene_;
    std::vector<Block> blocks_;
    Owners owners_;
};

void judgeMain(const JudgeContext& c) {
    const Room& room = *c.scene.room;
    const auto doors = std::count_if(room.openings.begin(), room.openings.end(), isWayIn);
    if (!room.closed || doors < 2 || c.scene.placed.empty())
        return;
    Floor floor(c.scene);
    const WayFinder ways(floor.takeBlocks(), c.rule.setting("look"));
    std::set<std::pair<std::size_t, std::size_t>> told;
    for (std::size_t a = 0; a < room.openings.size(); ++a) {
        for (std::size_t b = a + 1; b < room.openings.size(); ++b) {
            if (!isWayIn(room.openings[a]) || !isWayIn(room.openings[b]))
                continue;
            const auto pinch =
                ways.narrowest({middleOf(room, room.openings[a]), static_cast<int>(a)},
                               {middleOf(room, room.openings[b]), static_cast<int>(b)});
            if (!pinch || !told.insert(std::minmax(pinch->first, pinch->second)).second)
                continue;
            Target piece = floor.owner(ways.blocks()[pinch->first]);
            Target other = floor.owner(ways.blocks()[pinch->second]);
            if (pinch->first == pinch->second) {
                // Too close to a door itself: the one it stands before.
                const Opening& near = norm(pinch->onSecond - middleOf(room, room.openings[a])) < 1
                                          ? room.openings[a]
                                          : room.openings[b];
                other = targetOf(near);
            }
            if (piece.is != Target::Is::piece)
                std::swap(piece, other);
            if (piece.is == Target::Is::piece) // walls alone are as they are
                c.add(piece.piece, other, Amount::of(pinch->width), pinch->onFirst,
                      pinch->onSecond);
        }
    }
}

/// Either side of the pinch gives way.
std::vector<Handle> widen(const Reading& r, double target, const Project& job, const Scene&) {
    const double by = target - r.value.value;
    std::vector<Handle> out{moveAway(job, r.piece, r.other, by)};
    if (r.other.is == Target::Is::piece)
        out.push_back(moveAway(job, r.other.piece, pieceTarget(r.piece), by));
    return out;
}

constexpr std::array<RuleCode, 1> codes{{{"walkway-main", judgeMain, widen}}};

} // namespace

std::span<const RuleCode> wayRules() {
    return codes;
}

} // namespace mezzet
