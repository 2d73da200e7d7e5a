#include "edit/carried.h"

#include "edit/edit.h"
#include "measure/texts.h"
#include "scheme/surfaces.h"

#include <algorithm>

namespace mezzet {

std::optional<Problem> unsuitedSurface(const Piece& p) {
    if (suits(*p.kind, p.on.is))
        return {};
    switch (p.kind->on) {
    case SurfaceKind::wall:
        return Problem{p.name + " hangs on a wall", "say which, like: on wall A"};
    case SurfaceKind::ceiling:
        return Problem{p.name + " hangs from the ceiling", "leave the wall out"};
    case SurfaceKind::floor:
        return Problem{p.name + " stands on the floor",
                       p.onWall() ? "leave the wall out" : "put it on the floor"};
    case SurfaceKind::opening:
    case SurfaceKind::top:
        return Problem{p.name + " stands on something",
                       "say on what, like: on console, or: in opening 2 of bookcase"};
    }
    return {};
}

std::vector<int> withCarried(const std::vector<Piece>& pieces, int carrier) {
    std::vector<int> out{carrier};
    for (std::size_t i = 0; i < out.size(); ++i)
        for (const Piece& p : pieces)
            if (p.on.isCarried() && p.on.piece == out[i] &&
                std::find(out.begin(), out.end(), p.id) == out.end())
                out.push_back(p.id);
    return out;
}

void setDown(Scheme& s, int carrier, const Project& job, std::vector<std::string>& notices) {
    const auto stood = [&](const Piece& p) { return p.on.isCarried() && p.on.piece == carrier; };
    // Where each is, before any of them moves: the scheme of the job may be this very one.
    std::vector<std::pair<int, Pose>> places;
    if (std::any_of(s.pieces.begin(), s.pieces.end(), stood))
        if (const auto scene = sceneOf(job))
            for (const Piece& p : s.pieces)
                if (const auto body = stood(p) ? bodyOf(**scene, p.id) : std::nullopt)
                    places.emplace_back(p.id,
                                        Pose{body->foot.plan(), directionOf(body->right.plan())});
    for (Piece& p : s.pieces) {
        if (!stood(p))
            continue;
        notices.push_back(worded("{} is on the floor where it was; it was {}", p.name,
                                 words(p.on, job.wording())));
        for (const auto& [id, pose] : places)
            if (id == p.id)
                p.pose = pose;
        p.on = theFloor();
        p.ties.clear();
    }
    for (Piece& p : s.pieces)
        if (p.otherwise && p.otherwise->on.isCarried() && p.otherwise->on.piece == carrier)
            p.otherwise.reset();
    for (Piece& p : s.away)
        if (stood(p)) {
            p.on = theFloor();
            p.ties.clear();
        }
}

} // namespace mezzet
