#include "edit/follow.h"

#include "measure/texts.h"
#include "scheme/on_wall.h"

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
