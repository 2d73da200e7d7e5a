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

std::optional<Problem> wrongOpenings(const Piece& p, Notation n) {
    if (!p.unit)
        return {};
    if (const Length left = plinthOf(p); left < -quiet)
        return Problem{
            worded("its openings and boards are {} higher than {}", writeGap(-left, n), p.name),
            worded("it is {} high: say lower openings, or make it higher",
                   write(p.size.height, n))};
    for (int i = 1; i <= p.openings(); ++i)
        if (!openingOf(p, i))
            return Problem{worded("the boards of {} leave no room for so many openings", p.name),
                           "say fewer, or make it larger"};
    return {};
}

std::optional<Problem> keepInOpenings(Scheme& s, const Piece& old, const Piece& now) {
    const bool same =
        (old.unit == nullptr) == (now.unit == nullptr) && (!old.unit || *old.unit == *now.unit);
    if (same || old.openings() == 0)
        return {};
    constexpr double touch = 0.05; // mm
    for (Piece& p : s.pieces) {
        if (p.on.is != SurfaceId::Is::opening || p.on.piece != now.id)
            continue;
        const int row = (p.on.index - 1) / old.across();
        const int column = std::min((p.on.index - 1) % old.across(), now.across() - 1);
        const int index = row * now.across() + column + 1;
        const auto box = row < now.rows() ? openingOf(now, index) : std::nullopt;
        if (!box || p.size.width.mm() > box->right - box->left + touch ||
            heightWithLoad(s, p.id) > box->head - box->board + touch)
            return Problem{worded("{} has no room in {} then", p.name, now.name),
                           "take it out first, or leave its opening as it is"};
        p.on.index = index;
        const double half = p.size.width.mm() / 2;
        p.pose.at.x = std::clamp(p.pose.at.x, half, std::max(half, box->right - box->left - half));
    }
    return {};
}

double heightWithLoad(const Scheme& s, int piece) {
    const Piece* p = s.byId(piece);
    if (p == nullptr)
        return 0;
    double over = 0;
    for (const Piece& other : s.pieces)
        if (other.on == onTop(piece))
            over = std::max(over, heightWithLoad(s, other.id));
    return over > 0 ? p->top().mm() + over : p->size.height.mm();
}

void forgetElsewhere(Scheme& s, int id) {
    const auto drop = [&](std::vector<Tie>& ties) {
        std::erase_if(ties, [&](const Tie& t) { return t.refersTo(id); });
    };
    for (Piece& p : s.pieces) {
        if (p.otherwise)
            drop(p.otherwise->ties);
    }
    for (Piece& p : s.away)
        drop(p.ties);
    for (Zone& z : s.zones)
        std::erase(z.pieces, id);
    std::erase_if(s.zones, [](const Zone& z) { return z.pieces.empty(); });
    for (LightZone& z : s.light.zones)
        std::erase(z.lights, id);
    for (Piece& p : s.pieces)
        if (p.light && p.light->aim && p.light->aim->is == Target::Is::piece &&
            p.light->aim->piece == id) {
            auto told = std::make_shared<LightTold>(*p.light);
            told->aim.reset();
            p.light = std::move(told);
        }
    std::erase_if(s.accepted, [id](const Accepted& a) { return a.isAbout(id); });
}

} // namespace mezzet
