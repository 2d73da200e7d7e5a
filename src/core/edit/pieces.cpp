#include "edit/pieces.h"

#include "edit/grouping.h"
#include "measure/text.h"
#include "measure/texts.h"

#include <algorithm>

namespace mezzet {

namespace {

std::string namesOf(const Project& job, const std::vector<int>& ids) {
    std::vector<std::string> names;
    for (const int id : ids)
        names.push_back(job.scheme().byId(id)->name);
    return listed(names);
}

} // namespace

Edit removePieces(const Project& job, const std::vector<int>& ids) {
    Edit e;
    e.words = worded("remove {}", namesOf(job, ids));
    std::vector<int> gone;
    const auto add = [&](int id) {
        if (std::find(gone.begin(), gone.end(), id) == gone.end())
            gone.push_back(id);
    };
    for (const int id : ids) {
        for (const Piece* m : job.scheme().members(id))
            add(m->id);
        add(id);
    }
    for (const int id : gone)
        e.acts.emplace_back(RemovePiece{id});
    return e;
}

Piece copyOf(const Piece& piece, const Placed& where, const Scheme& names) {
    Piece p = piece;
    p.id = 0;
    p.name = names.freeName(piece.name);
    p.pose = where.pose;
    p.ties.clear();
    p.locked = false;
    return p;
}

Edit copyPieces(const Project& job, const Scene& scene, const std::vector<int>& ids, Vec2 step) {
    Edit e;
    e.words = worded("copy {}", namesOf(job, ids));
    Scheme names = job.scheme();
    // Of a group its pieces are copied, free.
    for (const int id : membersOf(job.scheme(), ids)) {
        Piece p = copyOf(*job.scheme().byId(id), *scene.byId(id), names);
        p.pose.at = p.pose.at + step;
        names.pieces.push_back(p);
        e.acts.emplace_back(PutPiece{std::move(p)});
    }
    return e;
}

Edit lockPieces(const Project& job, const Scene& scene, const std::vector<int>& ids, bool on) {
    Edit e;
    e.words = on ? worded("lock {}", namesOf(job, ids)) : worded("unlock {}", namesOf(job, ids));
    for (const int id : ids) {
        Piece p = *job.scheme().byId(id);
        p.pose = scene.byId(id)->pose;
        p.locked = on;
        e.acts.emplace_back(PutPiece{std::move(p)});
    }
    return e;
}

} // namespace mezzet
