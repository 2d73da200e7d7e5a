#include "edit/pieces.h"

#include "edit/drag.h"
#include "edit/grouping.h"
#include "edit/landing.h"
#include "edit/new_piece.h"
#include "edit/place.h"
#include "measure/text.h"
#include "measure/texts.h"
#include "scheme/rug.h"
#include "scheme/surfaces.h"

#include <algorithm>
#include <map>

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
    // What is on something else that goes is set down nowhere.
    std::stable_partition(gone.begin(), gone.end(),
                          [&](int id) { return job.scheme().byId(id)->on.isCarried(); });
    for (const int id : gone)
        e.acts.emplace_back(RemovePiece{id});
    return e;
}

std::string nameOfCopy(const Piece& p, const Scheme& names) {
    // "Armchair 2" is followed by "Armchair 3": its number counts those of its kind. "Shelf 120" is
    // a name.
    const auto figures = p.name.find_last_not_of("0123456789");
    if (figures != std::string::npos && figures + 1 < p.name.size() && p.name[figures] == ' ') {
        const auto base = p.name.substr(0, figures);
        if (plainWord(base) == plainWord(p.kind->name) || names.byName(base) != nullptr)
            return names.freeName(base);
    }
    return names.freeName(p.name);
}

Piece copyOf(const Piece& piece, const Placed& where, const Scheme& names) {
    Piece p = piece;
    p.id = 0;
    p.name = nameOfCopy(piece, names);
    p.pose = where.pose;
    p.ties.clear();
    p.locked = false;
    dropFit(p); // elsewhere it has other walls
    return p;
}

Result<Edit> copyAcross(const Project& job, const Scene& scene, int id, int of,
                        const std::string& name) {
    const Piece& source = *job.scheme().byId(id);
    const Piece& about = *job.scheme().byId(of);
    const Placed* own = scene.byId(id);
    const Placed* other = source.onWall() ? scene.byId(of) : scene.inPlan(of);
    if (id == of || own == nullptr || other == nullptr ||
        (source.onWall() && (!about.onWall() || about.wall() != source.wall())))
        return Problem{worded("{} is not beside {}", source.name, about.name),
                       "name what it is to stand on the other side of"};
    Piece p = copyOf(source, *own, job.scheme());
    if (!name.empty())
        p.name = name;
    const auto flipped = [&](const Tie& t) {
        return t.of == pieceTarget(of) && (t.side == Side::left || t.side == Side::right) &&
               (t.kind == Tie::Kind::fromPiece || t.kind == Tie::Kind::centredOn);
    };
    if (std::any_of(source.ties.begin(), source.ties.end(),
                    [&](const Tie& t) { return t.kind == Tie::Kind::fromPiece && flipped(t); })) {
        Placement said;
        said.ties = source.ties;
        for (Tie& t : said.ties)
            if (flipped(t))
                t.side = t.side == Side::left ? Side::right : Side::left;
        said.on = source.on;
        if (source.onWall())
            said.wall = source.wall();
        auto e = placePiece(job, scene, std::move(p), std::move(said));
        if (e)
            e->words = worded("copy {} to the other side of {}", source.name, about.name);
        return e;
    }
    if (source.onWall()) {
        p.pose.at.x = 2 * other->pose.at.x - own->pose.at.x;
    } else {
        const Placed* plan = scene.inPlan(id);
        if (plan == nullptr || source.on.isCarried())
            return Problem{worded("{} is not beside {}", source.name, about.name),
                           "name what it is to stand on the other side of"};
        const Vec2 right = other->pose.right();
        p.pose = plan->pose;
        p.pose.at = p.pose.at - right * (2 * dot(p.pose.at - other->pose.at, right));
        const Vec2 front = plan->pose.front() - right * (2 * dot(plan->pose.front(), right));
        p.pose.turn = (directionOf(front) - Angle::degrees(90)).normalised();
    }
    Edit e;
    e.words = worded("copy {} to the other side of {}", source.name, about.name);
    e.acts.emplace_back(PutPiece{std::move(p)});
    return e;
}

std::vector<Vec2> stockedSizes(const Project& job, const Piece& p) {
    std::vector<Vec2> out;
    const bool metric = isMetric(job.notation.units);
    const auto both = [&](Length a, Length b) {
        out.push_back({a.mm(), b.mm()});
        if (a != b)
            out.push_back({b.mm(), a.mm()});
    };
    if (p.kind->role == Role::art && p.footprint.form == FootprintForm::rectangle)
        for (const StockSize& s : job.library.stock)
            if (s.metric == metric)
                both(s.width, s.height);
    if (p.kind->flat() && !isCut(p) && job.library.rugs) {
        const bool round = p.footprint.form == FootprintForm::oval;
        const bool runner = p.kind->size.width > p.kind->size.depth * 2;
        for (const RugSize& s : job.library.rugs->sizes)
            if (s.metric == metric && s.round == round && s.runner == runner)
                both(s.width, s.depth);
    }
    return out;
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

Edit copyPieces(const Project& job, const Scene& scene, const std::vector<int>& ids) {
    std::vector<Piece> copies;
    for (const int id : membersOf(job.scheme(), ids))
        copies.push_back(copyOf(*job.scheme().byId(id), *scene.byId(id), job.scheme()));
    return copyPieces(job, scene, ids, freeStep(scene, copies).value_or(Vec2{100, 100}));
}

Project onlyThese(const Project& job, const Scene& scene, const std::vector<int>& ids) {
    Project out = job;
    auto scheme = std::make_shared<Scheme>();
    scheme->room = job.scheme().room;
    scheme->nextId = job.scheme().nextId;
    const auto all = membersOf(job.scheme(), ids);
    for (const int id : all) {
        Piece p = asItStands(job, scene, id);
        // Ties to what stays behind are let go.
        std::erase_if(p.ties, [&](const Tie& t) {
            return std::any_of(
                job.scheme().pieces.begin(), job.scheme().pieces.end(), [&](const Piece& o) {
                    return t.refersTo(o.id) && std::find(all.begin(), all.end(), o.id) == all.end();
                });
        });
        if (p.on.isCarried() && std::find(all.begin(), all.end(), p.on.piece) == all.end())
            continue; // it goes with what carries it
        scheme->pieces.push_back(std::move(p));
    }
    out.schemes.assign(1, scheme);
    out.active = 0;
    out.thrownAway.clear();
    out.underlay = nullptr;
    return out;
}

Result<Edit> pastePieces(const Project& job, const Scene& scene, const Project& from,
                         SurfaceId lookedAt) {
    const int walls = static_cast<int>(job.room->walls.size());
    std::vector<Piece> pieces;
    for (const Piece& p : from.scheme().pieces)
        if (!p.isGroup())
            pieces.push_back(p);
    if (pieces.empty())
        return Problem{"there is nothing to paste", "copy a piece first"};
    std::map<int, int> ids; // of the pieces there, here
    int next = job.scheme().nextId;
    for (Piece& p : pieces) {
        ids[p.id] = next++;
        if (!p.onWall())
            continue;
        const int wall = lookedAt.isWall() ? lookedAt.wall() : p.wall();
        if (wall >= walls)
            return Problem{"the room has no such wall", "go to the wall it is to hang on"};
        p.on = onWall(wall);
    }
    Scheme names = job.scheme();
    std::vector<Piece> bare;
    for (Piece& p : pieces) {
        // Only ties among them are kept: the room may be another.
        std::erase_if(p.ties, [&](const Tie& t) {
            return t.of.is != Target::Is::piece || ids.count(t.of.piece) == 0 ||
                   (t.also.is != Target::Is::none &&
                    (t.also.is != Target::Is::piece || ids.count(t.also.piece) == 0));
        });
        if (const auto kind = job.library.kit->byId(p.kind->id))
            p.kind = kind;
        p.locked = false;
        p.name = nameOfCopy(p, names);
        names.pieces.push_back(p);
        bare.push_back(p);
        bare.back().id = 0;
    }
    // In another room they may lie outside it: from its middle then.
    Vec2 step;
    const bool outside = std::any_of(bare.begin(), bare.end(), [&](const Piece& p) {
        return p.on.isFloor() && !job.room->holds(p.pose.at);
    });
    if (outside) {
        Box box;
        for (const Piece& p : bare)
            if (p.on.isFloor())
                box.include(p.pose.at);
        step = job.room->middle() - box.centre();
        for (Piece& p : bare)
            if (p.on.isFloor())
                p.pose.at = p.pose.at + step;
    }
    // All together where that can be, so that they stand to each other as they did.
    const auto together = freeStep(scene, bare);
    const auto freeOf = [&](std::size_t i) {
        return together ? *together : freeStep(scene, {bare[i]}).value_or(Vec2{});
    };
    std::size_t at = 0;
    Edit e;
    std::vector<std::string> told;
    for (Piece& p : pieces) {
        const int id = ids.at(p.id);
        for (Tie& t : p.ties) {
            t.of.piece = ids.at(t.of.piece);
            if (t.also.is == Target::Is::piece)
                t.also.piece = ids.at(t.also.piece);
            for (int& g : t.group)
                g = ids.count(g) > 0 ? ids.at(g) : id;
        }
        const Vec2 free = freeOf(at++);
        if (p.on.isCarried())
            p.on.piece = ids.at(p.on.piece);
        else
            p.pose.at = p.pose.at + (p.on.isFloor() ? step + free : free);
        p.id = id;
        told.push_back(p.name);
        e.acts.emplace_back(PutPiece{std::move(p)});
    }
    e.words = worded("paste {}", listed(told));
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
    const auto liesOn = [](const Piece& p, int carrier) {
        return p.on.isCarried() && p.on.piece == carrier;
    };
    if (liesOn(a, other) || liesOn(b, one)) {
        if (!a.isThing() || !b.isThing())
            return Problem{worded("{} and {} can't change places", a.name, b.name),
                           "one of them carries the other"};
        // The pile stays, and what is in it changes places: each is what the other was.
        const std::string words = worded("swap {} and {}", a.name, b.name);
        for (const auto part : {&Piece::name, &Piece::extra, &Piece::reason})
            std::swap(a.*part, b.*part);
        std::swap(a.kind, b.kind);
        std::swap(a.size, b.size);
        std::swap(a.heights, b.heights);
        std::swap(a.footprint, b.footprint);
        std::swap(a.thing, b.thing);
        std::swap(a.cost, b.cost);
        // A name is taken until the other has let go of it.
        Piece between = b;
        between.name = job.scheme().freeName("Thing on the move");
        return Edit{words,
                    {PutPiece{std::move(between)}, PutPiece{std::move(a)}, PutPiece{std::move(b)}},
                    {}};
    }
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

Edit replacedBy(const Project& job, Piece p) {
    Edit e;
    e.words = worded("replace {} by {}", job.scheme().byId(p.id)->name, p.name);
    e.acts.emplace_back(PutPiece{std::move(p)});
    return e;
}

Edit sizeByCorner(const Project& job, const Scene& scene, int id, Vec2 corner, Length width,
                  Length second, bool fromMiddle) {
    Piece p = asItStands(job, scene, id);
    const bool hangs = p.onWall();
    Size size = p.size;
    Length& deep = hangs ? size.height : size.depth;
    const Vec2 before{size.width.mm() / 2, deep.mm() / 2};
    if (p.footprint.form == FootprintForm::oval && abs(size.width - deep) <= quiet)
        width = second = std::max(width, second);
    size.width = width;
    deep = second;
    giveSize(p, size);
    if (!fromMiddle) {
        const Vec2 by{corner.x * (width.mm() / 2 - before.x),
                      corner.y * (second.mm() / 2 - before.y)};
        p.pose.at = hangs ? p.pose.at + by : p.pose.toRoom(by);
    }
    const Vec2 wanted = p.pose.at;
    Edit e;
    e.words = worded("size {}", p.name);
    e.acts.emplace_back(PutPiece{std::move(p)});
    // Where its ties take it elsewhere their numbers follow, so that the corner across stays.
    if (const auto sized = apply(job, e)) {
        const Vec2 off = wanted - sized->scene->byId(id)->pose.at;
        if (norm(off) > 0.01)
            for (Act& a :
                 drag(*sized->project, *sized->scene, {id}, off, DragTies::revalue).edit.acts)
                e.acts.push_back(std::move(a));
    }
    return e;
}

Result<Piece> asAnother(const Project& job, Piece p, const KindPtr& kind) {
    if (kind->role == Role::group || p.isGroup() || !suits(*kind, p.on.is))
        return Problem{worded("{} can't be where {} is", kind->name, p.name),
                       "name a kind that stands or hangs like it"};
    const Piece fresh = pieceOf(kind);
    if (p.kind != kind && p.name.starts_with(p.kind->name))
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
