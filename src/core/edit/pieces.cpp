#include "edit/pieces.h"

#include "edit/grouping.h"
#include "edit/place.h"
#include "measure/text.h"
#include "measure/texts.h"
#include "scheme/surfaces.h"

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

Result<Edit> swapPieces(const Project& job, const Scene& scene, int one, int other) {
    Piece a = asItStands(job, scene, one);
    Piece b = asItStands(job, scene, other);
    if (one == other || !suits(*a.kind, b.on.is) || !suits(*b.kind, a.on.is))
        return Problem{worded("{} and {} can't change places", a.name, b.name),
                       "name two that stand on the same kind of surface"};
    for (const Piece* p : {&a, &b})
        if (p->locked)
            return locked(*p);
    const Stance of = a.stance();
    a.stand(b.stance());
    b.stand(of);
    // What was tied to the other would be tied to itself now.
    std::erase_if(a.ties, [&](const Tie& t) { return t.refersTo(one) || t.refersTo(other); });
    std::erase_if(b.ties, [&](const Tie& t) { return t.refersTo(one) || t.refersTo(other); });
    Edit e;
    e.words = worded("swap {} and {}", a.name, b.name);
    e.acts.emplace_back(PutPiece{std::move(a)});
    e.acts.emplace_back(PutPiece{std::move(b)});
    return e;
}

Result<Piece> asAnother(const Project& job, Piece p, const KindPtr& kind) {
    if (kind->role == Role::group || p.isGroup() || !suits(*kind, p.on.is))
        return Problem{worded("{} can't be where {} is", kind->name, p.name),
                       "name a kind that stands or hangs like it"};
    const Piece fresh = pieceOf(kind);
    if (p.name.rfind(p.kind->name, 0) == 0)
        p.name = job.scheme().freeName(kind->name);
    p.kind = kind;
    p.size = fresh.size;
    p.heights = fresh.heights;
    p.footprint = fresh.footprint;
    p.hanging = fresh.hanging;
    p.finishedBack.reset();
    p.cost.reset();
    return p;
}

} // namespace mezzet
