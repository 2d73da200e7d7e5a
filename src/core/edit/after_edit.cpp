#include "edit/after_edit.h"

#include "measure/texts.h"
#include "scheme/words.h"

#include <algorithm>
#include <cmath>
#include <set>

namespace mezzet {

namespace {

std::set<std::string> picturesShown(const Project& job) {
    std::set<std::string> out;
    for (const auto* schemes : {&job.schemes, &job.thrownAway})
        for (const auto& s : *schemes)
            for (const Piece& p : s->pieces)
                if (!p.picture.empty())
                    out.insert(p.picture);
    if (job.handover)
        for (const ListEntry& e : job.handover->list)
            if (!e.picture.empty())
                out.insert(e.picture);
    return out;
}

} // namespace

std::optional<Problem> tooHighInItself(const Piece& p, const Piece* old, Notation n) {
    if (old != nullptr && old->heights == p.heights && old->size == p.size)
        return {};
    const auto over = [&](const char* what,
                          const std::optional<Length>& h) -> std::optional<Problem> {
        if (!h || *h <= p.size.height + quiet)
            return {};
        return Problem{worded("{} is {} high, and its {} would be at {}", p.name,
                              writeGap(p.size.height, n), what, writeGap(*h, n)),
                       "say its size as well"};
    };
    for (const auto& [what, h] :
         {std::pair{"seat", p.heights.seat}, std::pair{"arms", p.heights.arm},
          std::pair{"back", p.heights.back}, std::pair{"top", p.heights.top}})
        if (auto problem = over(what, h))
            return problem;
    return {};
}

std::optional<Problem> freshlyOverTied(const Project& before, std::size_t scheme,
                                       const Scene& after) {
    if (after.overTied.empty())
        return {};
    const auto was = scheme < before.schemes.size()
                         ? resolve(before.roomOf(scheme), before.schemes[scheme], before.notation)
                         : Result<ScenePtr>(Problem{});
    for (const auto& now : after.overTied) {
        const bool known =
            was && std::any_of((*was)->overTied.begin(), (*was)->overTied.end(),
                               [&](const Scene::OverTied& o) { return o.piece == now.piece; });
        if (!known)
            return now.problem;
    }
    return {};
}

std::optional<Problem> wouldNotOpen(const Scheme& s, const Scene& scene) {
    constexpr double farthest = 1e6; // mm; a kilometre, as the job file has it
    const auto place = [&](const Piece& p, const Placed& where) -> std::optional<Problem> {
        const Vec2 at = where.pose.at;
        if (!(std::abs(at.x) < farthest && std::abs(at.y) < farthest))
            return Problem{worded("{} would stand a kilometre off", p.name),
                           "say a place in the room"};
        if (p.ties.size() > mostTies || (p.otherwise && p.otherwise->ties.size() > mostTies))
            return Problem{worded("{} would be held by more than {} ties", p.name, mostTies),
                           "free it of some first"};
        for (const Tie& t : p.ties)
            if (std::abs(t.distance.mm()) > farthest || std::abs(t.second.mm()) > farthest)
                return Problem{worded("{} would stand a kilometre off", p.name),
                               "say a place in the room"};
        return {};
    };
    for (std::size_t i = 0; i < s.pieces.size(); ++i)
        if (auto problem = place(s.pieces[i], scene.all[i]))
            return problem;
    return {};
}

void dropPicturesReplaced(const Project& before, Project& job) {
    if (!job.pictures || job.pictures->empty())
        return;
    const auto now = picturesShown(job);
    std::shared_ptr<Pictures> kept;
    for (const auto& was : picturesShown(before))
        if (now.count(was) == 0 && job.pictures->count(was) > 0) {
            if (!kept)
                kept = std::make_shared<Pictures>(*job.pictures);
            kept->erase(was);
        }
    if (kept)
        job.pictures = kept;
}

SchemePtr settled(const SchemePtr& scheme, const Scene& scene) {
    const auto isSettled = [&](const Piece& p, const Placed& where) {
        return p.pose == where.pose && p.off == where.off;
    };
    if (std::equal(scheme->pieces.begin(), scheme->pieces.end(), scene.all.begin(), isSettled))
        return scheme;
    auto s = std::make_shared<Scheme>(*scheme);
    for (std::size_t i = 0; i < s->pieces.size(); ++i) {
        s->pieces[i].pose = scene.all[i].pose;
        s->pieces[i].off = scene.all[i].off;
    }
    return s;
}

} // namespace mezzet
