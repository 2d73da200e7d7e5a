#include "edit/follow.h"

#include "measure/texts.h"
#include "scheme/on_wall.h"
#include "scheme/resolve.h"
#include "scheme/words.h"

#include <algorithm>

namespace mezzet {

bool followGroup(Scheme& s, const Piece& group) {
    bool moved = false;
    for (Piece& p : s.pieces)
        if (p.group() == group.id && p.on != group.on) {
            p.on = group.on;
            moved = true;
        }
    return moved;
}

void regroup(Project& job) {
    for (auto& scheme : job.schemes) {
        if (std::none_of(scheme->pieces.begin(), scheme->pieces.end(),
                         [](const Piece& p) { return p.isGroup(); }))
            continue;
        auto s = std::make_shared<Scheme>(*scheme);
        bool changed = false;
        for (Piece& g : s->pieces) {
            if (!g.isGroup())
                continue;
            changed = followGroup(*s, g) || changed;
            const Box b = groupBox(*s, g.id);
            if (b.empty())
                continue;
            const Vec2 middle = b.centre();
            const Size size{Length::millimetres(b.size().x), g.size.depth,
                            Length::millimetres(b.size().y)};
            if (norm(middle) < 1e-9 && size == g.size)
                continue;
            changed = true;
            g.size = size;
            g.pose.at = g.pose.at + middle;
            for (Piece& p : s->pieces)
                for (Tie& t : p.ties)
                    if (t.kind == Tie::Kind::inGroup && t.of.piece == g.id) {
                        t.distance -= Length::millimetres(middle.x);
                        t.second -= Length::millimetres(middle.y);
                    }
        }
        const auto empty = [&](const Piece& p) { return p.isGroup() && s->members(p.id).empty(); };
        for (const Piece& p : s->pieces)
            changed = changed || empty(p);
        if (!changed)
            continue;
        std::vector<int> gone;
        for (const Piece& p : s->pieces)
            if (empty(p))
                gone.push_back(p.id);
        std::erase_if(s->pieces, [&](const Piece& p) {
            return std::find(gone.begin(), gone.end(), p.id) != gone.end();
        });
        for (const int id : gone)
            for (Piece& p : s->pieces) {
                std::erase_if(p.ties, [&](const Tie& t) { return t.refersTo(id); });
            }
        scheme = s;
    }
}

bool followFurniture(const Project& before, std::size_t scheme, Project& job, const Scene& now,
                     std::vector<std::string>& notices) {
    const auto overOf = [&](const Piece& p) -> const Piece* {
        for (const Tie& t : p.ties)
            if (t.of.is == Target::Is::piece && t.fixesPlace())
                if (const Piece* f = now.pieceById(t.of.piece); f != nullptr && f->on.isFloor())
                    return f;
        return nullptr;
    };
    const Scheme& old = *before.schemes[scheme];
    ScenePtr was;
    std::shared_ptr<Scheme> changed;
    for (const Piece& p : job.schemes[scheme]->pieces) {
        const Piece* over = p.onWall() && p.group() == 0 && !p.locked ? overOf(p) : nullptr;
        if (over == nullptr)
            continue;
        const Piece* oldOne = old.byId(p.id);
        const Piece* oldOver = old.byId(over->id);
        if (oldOne == nullptr || oldOver == nullptr || oldOne->on != p.on ||
            oldOver->pose == now.inPlan(over->id)->pose)
            continue;
        const auto wall = wallBehind(now, over->id);
        if (wall == p.wall())
            continue;
        if (!was) {
            auto then = resolve(before.roomOf(scheme), before.schemes[scheme], before.notation);
            if (!then)
                return false;
            was = *then;
        }
        if (was->pieceById(over->id) == nullptr || wallBehind(*was, over->id) != p.wall())
            continue;
        const auto byOther = [&](const Tie& t) {
            return t.of.is != Target::Is::none && t.of.is != Target::Is::ceiling &&
                   t.of != pieceTarget(over->id);
        };
        if (!changed)
            changed = std::make_shared<Scheme>(*job.schemes[scheme]);
        Piece& hung = *changed->byId(p.id);
        if (wall && std::none_of(p.ties.begin(), p.ties.end(), byOther)) {
            hung.on = onWall(*wall);
            notices.push_back(worded("{} hangs on {} now, over {}", p.name,
                                     words(wallTarget(*wall), job.wording()), over->name));
        } else {
            std::erase_if(hung.ties, [&](const Tie& t) { return t.refersTo(over->id); });
            hung.pose = was->byId(p.id)->pose;
            notices.push_back(
                worded("{} stays where it hangs: {} stands there no more", p.name, over->name));
        }
        if (hung.isGroup())
            followGroup(*changed, hung);
    }
    if (!changed)
        return false;
    job.schemes[scheme] = changed;
    return true;
}

void followEyes(Project& job) {
    const Length level = eyeLevel(*job.library.book, job.judgement);
    for (auto& scheme : job.schemes) {
        auto s = std::make_shared<Scheme>(*scheme);
        bool changed = false;
        for (Piece& p : s->pieces)
            for (Tie& t : p.ties)
                if (t.kind == Tie::Kind::eyeLevel && t.distance != level) {
                    t.distance = level;
                    changed = true;
                }
        if (changed)
            scheme = s;
    }
}

std::optional<Problem> rehang(Project& job, std::vector<std::string>& notices) {
    for (auto& scheme : job.schemes) {
        const int walls = static_cast<int>(job.rooms[scheme->room]->walls.size());
        auto s = std::make_shared<Scheme>(*scheme);
        bool changed = false;
        for (Piece& p : s->pieces) {
            if (!p.onWall() || p.wall() < walls)
                continue;
            if (walls == 0)
                return Problem{worded("{} hangs on wall {}, and these notes have none", p.name,
                                      wallName(p.wall())),
                               "remove what hangs first"};
            if (p.group() == 0)
                notices.push_back(worded("wall {} is gone: {} hangs on wall {} now",
                                         wallName(p.wall()), p.name, wallName(walls - 1)));
            p.on = onWall(walls - 1);
            std::erase_if(p.ties, [](const Tie& t) {
                return t.fixesPlace() && t.kind != Tie::Kind::inGroup &&
                       t.kind != Tie::Kind::height && t.kind != Tie::Kind::eyeLevel;
            });
            if (p.otherwise)
                p.otherwise.reset();
            changed = true;
        }
        if (changed)
            scheme = s;
    }
    return {};
}

} // namespace mezzet
