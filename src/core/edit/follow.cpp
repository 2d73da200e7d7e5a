#include "edit/follow.h"

#include "measure/texts.h"
#include "scheme/on_wall.h"
#include "scheme/resolve.h"
#include "scheme/words.h"

#include <algorithm>
#include <map>

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
    const Scheme& own = *job.schemes[scheme];
    ScenePtr was;
    // What hung over furniture that stands elsewhere now, and over what; what hangs by such goes
    // along.
    std::map<int, const Piece*> over;
    for (const Piece& p : own.pieces) {
        const Piece* by = p.onWall() && p.group() == 0 && !p.locked ? overOf(p) : nullptr;
        if (by == nullptr)
            continue;
        const Piece* oldOne = old.byId(p.id);
        const Piece* oldOver = old.byId(by->id);
        if (oldOne == nullptr || oldOver == nullptr || oldOne->on != p.on ||
            oldOver->pose == now.inPlan(by->id)->pose || wallBehind(now, by->id) == p.wall())
            continue;
        if (!was) {
            auto then = resolve(before.roomOf(scheme), before.schemes[scheme], before.notation);
            if (!then)
                return false;
            was = *then;
        }
        if (was->pieceById(by->id) != nullptr && wallBehind(*was, by->id) == p.wall())
            over[p.id] = by;
    }
    if (over.empty())
        return false;
    const auto tiedTo = [](const Piece& p, const std::map<int, const Piece*>& any) {
        return std::find_if(p.ties.begin(), p.ties.end(), [&](const Tie& t) {
            return t.of.is == Target::Is::piece && any.contains(t.of.piece);
        });
    };
    for (bool more = true; more;) {
        more = false;
        for (const Piece& p : own.pieces)
            if (p.onWall() && p.group() == 0 && !over.contains(p.id) && old.byId(p.id) != nullptr)
                if (const auto t = tiedTo(p, over); t != p.ties.end()) {
                    over[p.id] = over[t->of.piece];
                    more = true;
                }
    }
    // Those that can: tied to nothing that stays.
    std::map<int, const Piece*> goes;
    for (const auto& [id, by] : over)
        if (wallBehind(now, by->id) && !own.byId(id)->locked)
            goes[id] = by;
    for (bool less = true; less;) {
        less = false;
        for (const auto& [id, by] : goes) {
            const Piece& p = *own.byId(id);
            const bool held = std::any_of(p.ties.begin(), p.ties.end(), [&](const Tie& t) {
                return t.of.is != Target::Is::none && t.of.is != Target::Is::ceiling &&
                       t.of != pieceTarget(by->id) &&
                       !(t.of.is == Target::Is::piece && goes.contains(t.of.piece));
            });
            if (held) {
                goes.erase(id);
                less = true;
                break;
            }
        }
    }
    const auto changed = std::make_shared<Scheme>(own);
    bool any = false;
    for (const auto& [id, by] : over) {
        Piece& hung = *changed->byId(id);
        if (goes.contains(id)) {
            const int wall = *wallBehind(now, by->id);
            hung.on = onWall(wall);
            notices.push_back(worded("{} hangs on {} now, over {}", hung.name,
                                     words(wallTarget(wall), job.wording()), by->name));
        } else {
            const auto held = hung.ties.size();
            std::erase_if(hung.ties, [&, from = by->id](const Tie& t) {
                return t.refersTo(from) ||
                       std::any_of(goes.begin(), goes.end(),
                                   [&](const auto& g) { return t.refersTo(g.first); });
            });
            if (hung.ties.size() == held)
                continue;
            hung.pose = was->byId(id)->pose;
            notices.push_back(
                worded("{} stays where it hangs: {} stands there no more", hung.name, by->name));
        }
        any = true;
        if (hung.isGroup())
            followGroup(*changed, hung);
    }
    if (any)
        job.schemes[scheme] = changed;
    return any;
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

void keepBacksInLine(const Project& before, std::size_t i, Project& job) {
    if (i >= before.schemes.size())
        return;
    const Scheme& was = *before.schemes[i];
    std::shared_ptr<Scheme> changed;
    const auto inLine = [](const Piece& own, const Piece& host) {
        return (own.size.depth - host.size.depth) / 2;
    };
    for (const Piece& now : job.schemes[i]->pieces) {
        const Piece* own = was.byId(now.id);
        if (own == nullptr || own->ties != now.ties || !now.on.isFloor())
            continue;
        for (std::size_t t = 0; t < now.ties.size(); ++t) {
            const Tie& along = now.ties[t];
            if (along.kind != Tie::Kind::centredOn || along.of.is != Target::Is::piece ||
                (along.side != Side::left && along.side != Side::right))
                continue;
            const Piece* host = was.byId(along.of.piece);
            const Piece* larger = job.schemes[i]->byId(along.of.piece);
            if (host == nullptr || larger == nullptr ||
                (host->size.depth == larger->size.depth && own->size.depth == now.size.depth))
                continue;
            constexpr Length hair = Length::millimetres(0.5);
            if (abs(along.distance - inLine(*own, *host)) > hair ||
                abs(along.distance) <= hair) // in the middle of it
                continue;
            if (!changed)
                changed = std::make_shared<Scheme>(*job.schemes[i]);
            changed->byId(now.id)->ties[t].distance = inLine(now, *larger);
        }
    }
    if (changed)
        job.schemes[i] = std::move(changed);
}

} // namespace mezzet
