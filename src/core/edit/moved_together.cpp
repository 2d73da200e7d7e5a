#include "edit/moved_together.h"

#include "edit/place.h"
#include "geometry/gap.h"
#include "scheme/on_wall.h"

#include <algorithm>
#include <cmath>

namespace mezzet {

namespace {

using K = Tie::Kind;

bool areInOnePlace(int one, int other, const Scene& scene) {
    const Piece* a = scene.pieceById(one);
    const Piece* b = scene.pieceById(other);
    if (a == nullptr || b == nullptr || a->kind->flat() || b->kind->flat())
        return false;
    if (a->onWall() || b->onWall()) {
        if (!a->onWall() || !b->onWall() || a->wall() != b->wall())
            return false;
        const auto first = boxOn(pieceTarget(one), a->wall(), scene);
        const auto second = boxOn(pieceTarget(other), a->wall(), scene);
        return first && second && first->low.x < second->high.x - quiet.mm() &&
               second->low.x < first->high.x - quiet.mm() &&
               first->low.y < second->high.y - quiet.mm() &&
               second->low.y < first->high.y - quiet.mm();
    }
    if (!a->on.isFloor() || !b->on.isFloor())
        return false;
    const Placed* first = scene.fromAbove(one);
    const Placed* second = scene.fromAbove(other);
    return first != nullptr && second != nullptr &&
           gapBetween(first->shape, second->shape).depth > quiet;
}

bool refersToAny(const Tie& t, const std::vector<int>& ids) {
    return std::any_of(ids.begin(), ids.end(), [&](int id) { return t.refersTo(id); });
}

/// What they are about the middle of, and what else the first is told; none where it is told its
/// place otherwise.
struct Model {
    Tie middle;
    Placement rest;
};
std::optional<Model> modelOf(const Placement& said, bool hangs) {
    Model out{{}, said};
    out.middle.kind = K::centredOn;
    bool centred = false;
    std::erase_if(out.rest.ties, [&](const Tie& t) {
        const bool is = !centred && t.kind == K::centredOn && t.side != Side::left &&
                        t.side != Side::right && t.of.is != Target::Is::room;
        if (is) {
            out.middle = t;
            centred = true;
        }
        return is;
    });
    for (const Tie& t : out.rest.ties) {
        if (t.kind == K::inCorner || t.kind == K::at || t.kind == K::atPlace ||
            t.kind == K::centredBetween || t.kind == K::fromCorner || t.kind == K::under ||
            t.kind == K::inGroup)
            return {};
        if (hangs && t.kind == K::fromPiece)
            return {};
    }
    if (centred)
        return out;
    // Along a wall nothing says where: about its middle; over a thing about that.
    for (const Tie& t : out.rest.ties)
        if ((hangs && (t.kind == K::above || t.kind == K::below) &&
             t.of.is != Target::Is::ceiling) ||
            (!hangs && t.kind == K::against) ||
            (!hangs && t.kind == K::fromPiece && t.side != Side::left && t.side != Side::right)) {
            out.middle.of = t.of;
            if (t.kind == K::fromPiece)
                out.middle.side = t.side;
            return out;
        }
    if (hangs && said.wall) {
        out.middle.of = wallTarget(*said.wall);
        return out;
    }
    return {};
}

/// One after another, from the left as it stands, so far apart.
std::vector<std::pair<Piece, Placement>> inARow(std::vector<Piece> pieces, const Model& model,
                                                Length gap) {
    Length all = gap * static_cast<double>(pieces.size() - 1);
    for (const Piece& p : pieces)
        all = all + p.size.width;
    Length at = all / -2;
    std::vector<std::pair<Piece, Placement>> out;
    for (Piece& p : pieces) {
        Placement place = model.rest;
        Tie along = model.middle;
        along.distance = along.distance + at + p.size.width / 2;
        place.ties.push_back(along);
        at = at + p.size.width + gap;
        out.emplace_back(std::move(p), std::move(place));
    }
    return out;
}

/// As they hang on their wall: the middle of all where one would be.
std::vector<std::pair<Piece, Placement>> asTheyHang(std::vector<Piece> pieces, const Model& model,
                                                    const Project& job, const Scene& scene) {
    Box all;
    for (const Piece& p : pieces)
        if (const auto box = boxOn(pieceTarget(p.id), p.wall(), scene))
            all.include(*box);
    std::vector<std::pair<Piece, Placement>> out;
    for (Piece& p : pieces) {
        const auto box = boxOn(pieceTarget(p.id), p.wall(), scene);
        Placement place = model.rest;
        bool high = false;
        for (Tie& t : place.ties) {
            if (t.kind == K::above)
                t.distance = t.distance + Length::millimetres(box->low.y - all.low.y);
            else if (t.kind == K::below)
                t.distance = t.distance + Length::millimetres(all.high.y - box->high.y);
            else if (t.kind == K::eyeLevel) {
                t.kind = K::height;
                t.level = Level::centre;
                t.distance = eyeLevel(*job.library.book, job.judgement) +
                             Length::millimetres(box->centre().y - all.centre().y);
            } else if (t.kind == K::height) {
                const double off = t.level == Level::top      ? box->high.y - all.high.y
                                   : t.level == Level::bottom ? box->low.y - all.low.y
                                                              : box->centre().y - all.centre().y;
                t.distance = t.distance + Length::millimetres(off);
            }
            high = high || t.fixesHeight();
        }
        if (!high) {
            Tie height;
            height.kind = K::height;
            height.level = Level::centre;
            height.distance = Length::millimetres(box->centre().y);
            place.ties.push_back(height);
        }
        Tie along = model.middle;
        along.distance = along.distance + Length::millimetres(box->centre().x - all.centre().x);
        place.ties.push_back(along);
        out.emplace_back(std::move(p), std::move(place));
    }
    return out;
}

} // namespace

bool standOnOneAnother(const std::vector<int>& ids, const Scene& before, const Scene& after) {
    for (std::size_t i = 0; i < ids.size(); ++i)
        for (std::size_t k = i + 1; k < ids.size(); ++k)
            if (areInOnePlace(ids[i], ids[k], after) && !areInOnePlace(ids[i], ids[k], before))
                return true;
    return false;
}

MovedTogether movedTogether(const Project& job, const Scene& scene, const std::vector<int>& ids,
                            const Placement& said, double aside) {
    std::vector<Piece> pieces;
    for (const int id : ids)
        pieces.push_back(asItStands(job, scene, id));
    const bool hangs = pieces.front().onWall();
    if (said.step || said.on || std::any_of(pieces.begin(), pieces.end(), [&](const Piece& p) {
            return p.onWall() != hangs || (!hangs && !p.on.isFloor()) || p.kind->flat() ||
                   p.locked || p.isGroup();
        }))
        return {};
    auto model = modelOf(said, hangs);
    if (!model)
        return {};
    MovedTogether out;
    if (model->middle.of.is == Target::Is::wall &&
        std::none_of(said.ties.begin(), said.ties.end(),
                     [](const Tie& t) { return t.kind == K::centredOn; })) {
        out.along = model->middle.of.index;
        model->middle.distance =
            job.room->walls[static_cast<std::size_t>(*out.along)].length() * (aside / 2);
    }
    for (Piece& p : pieces)
        std::erase_if(p.ties, [&](const Tie& t) { return refersToAny(t, ids); });
    if (hangs) {
        const bool oneWall = std::all_of(pieces.begin(), pieces.end(), [&](const Piece& p) {
            return p.wall() == pieces.front().wall();
        });
        out.all = oneWall ? asTheyHang(std::move(pieces), *model, job, scene)
                          : inARow(std::move(pieces), *model, job.library.book->habit("group-gap"));
        return out;
    }
    // From the left, as one faces what they are placed by.
    Vec2 right{1, 0};
    const Target& of = model->middle.of;
    if (const Placed* there = of.is == Target::Is::piece ? scene.fromAbove(of.piece) : nullptr)
        right = there->pose.right();
    else if (of.is == Target::Is::wall)
        right = job.room->walls[static_cast<std::size_t>(of.index)].along();
    std::stable_sort(pieces.begin(), pieces.end(), [&](const Piece& a, const Piece& b) {
        return std::round(dot(a.pose.at, right)) < std::round(dot(b.pose.at, right));
    });
    const bool sits = std::all_of(pieces.begin(), pieces.end(), [](const Piece& p) {
        return p.kind->role == Role::armchair || p.kind->role == Role::sofa;
    });
    out.all =
        inARow(std::move(pieces), *model, sits ? job.library.book->habit("seats-apart") : Length{});
    return out;
}

} // namespace mezzet
