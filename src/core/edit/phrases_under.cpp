// Under pieces: a rug, or what goes under a window.
#include "edit/arrange.h"
#include "edit/phrase.h"
#include "edit/place.h"
#include "measure/texts.h"
#include "scheme/on_wall.h"

#include <algorithm>

namespace mezzet {

namespace {

using Is = Target::Is;
using K = Tie::Kind;

/// All upholstered seats there are; the longest first, since the others gather round it.
std::vector<int> seats(Placing& p) {
    std::vector<const Piece*> all;
    for (const auto& q : p.in.scheme().pieces)
        if (q.id != p.subject.id && (q.kind->role == Role::sofa || q.kind->role == Role::armchair))
            all.push_back(&q);
    if (all.empty())
        p.fault("there are no seats yet", "place a sofa or a chair first");
    std::stable_sort(all.begin(), all.end(),
                     [](const Piece* a, const Piece* b) { return a->size.width > b->size.width; });
    std::vector<int> out;
    for (const Piece* q : all)
        out.push_back(q->id);
    return out;
}

/// The pieces named: "sofa, rug and lamp".
std::vector<int> group(Placing& p, const Target& first) {
    std::vector<int> ids{first.piece};
    for (;;) {
        const std::size_t here = p.in.at();
        p.in.comma();
        p.in.take({"and"});
        p.in.article();
        const int id = p.in.done() ? 0 : p.in.piece();
        if (id == 0) {
            p.in.goTo(here);
            return ids;
        }
        if (id == p.subject.id)
            p.in.fail(here, p.in.at() - here,
                      worded("{} can't be placed by itself", p.subject.name), "name another piece");
        ids.push_back(id);
    }
}

bool under(Placing& p) {
    if (p.in.take({"the seats", "seats"})) {
        const auto all = seats(p);
        p.add(K::under).group = all;
        return true;
    }
    const Target first = p.target(Targets{Is::piece, Is::window}, "under");
    if (first.is == Is::window) {
        p.add(K::against).of = p.toWall(first);
        p.add(K::centredOn).of = first;
        return true;
    }
    // "a bench under the hooks": its back to their wall.
    if (const Piece* hung = p.scene.pieceById(first.piece); hung != nullptr && hung->onWall() &&
                                                            !p.subject.kind->flat() &&
                                                            !p.subject.kind->underCeiling()) {
        p.add(K::against).of = wallTarget(hung->wall());
        Tie& corner = p.add(K::fromCorner);
        corner.of.is = Is::corner;
        corner.of.index = hung->wall();
        corner.of.alongNext = true;
        corner.to = MeasuredTo::centre;
        corner.distance = Length::millimetres(p.scene.byId(hung->id)->pose.at.x);
        return true;
    }
    // "tuck the chair under the desk": in to where it sits, as far as it goes.
    if (const Tie* held = tieToTable(p.subject, *p.scene.scheme);
        held != nullptr && held->of == first) {
        Tie tie = *held;
        tie.distance = -tuckedAt(p.subject, *p.scene.pieceById(first.piece), *held);
        if (tie.kind == K::facing) {
            tie.kind = K::atPlace;
            tie.place = tie.places = 1;
        }
        p.out.ties.push_back(tie);
        return true;
    }
    const auto all = group(p, first);
    // Deeper than what stands at a wall, it stands at that wall too, and out before it.
    const auto isAt = [&](int wall) {
        const Wall& w = p.scene.room->walls[static_cast<std::size_t>(wall)];
        const Placed* there = p.scene.fromAbove(first.piece);
        constexpr double near = 50; // mm
        return there != nullptr &&
               -extent(there->shape, -w.inward()) - dot(w.start, w.inward()) < near;
    };
    if (const auto wall = wallBehind(p.scene, first.piece);
        all.size() == 1 && wall && isAt(*wall) && !p.subject.kind->flat() &&
        !p.subject.kind->underCeiling() &&
        p.subject.size.depth > p.scene.pieceById(first.piece)->size.depth) {
        p.add(K::against).of = wallTarget(*wall);
        p.add(K::centredOn).of = first;
        return true;
    }
    p.add(K::under).group = all;
    return true;
}

/// "front legs on", "under the front legs of sofa, 8 on".
bool frontLegs(Placing& p) {
    const Length usual = p.in.job().library.book->habit("front-legs-on-rug");
    p.in.take({"of"});
    // "under the sofa, front legs on": of what it was said to be under.
    const auto said = std::find_if(p.out.ties.begin(), p.out.ties.end(), [](const Tie& t) {
        return t.kind == K::under && t.distance == Length{};
    });
    const bool itself = p.in.done() || p.in.ahead().empty() || p.in.lengthAhead();
    if (said != p.out.ties.end() && itself) {
        std::rotate(said, said + 1, p.out.ties.end());
        p.out.ties.back().distance = usual;
    } else if (p.in.done() || p.in.ahead().empty() || p.in.take({"the seats", "seats"})) {
        const auto all = seats(p);
        Tie& tie = p.add(K::under);
        tie.group = all;
        tie.distance = usual;
    } else {
        const Target first = p.target(ties::pieces, "front legs");
        const auto all = group(p, first);
        Tie& tie = p.add(K::under);
        tie.group = all;
        tie.distance = usual;
    }
    const std::size_t here = p.in.at();
    p.in.take({"on"});
    p.in.comma();
    if (p.in.lengthAhead()) {
        const auto l = p.in.length("how far on they stand");
        if (p.in.take({"on"}) && l > Length{}) {
            p.out.ties.back().distance = l;
            return true;
        }
    }
    p.in.goTo(here);
    p.in.take({"on"});
    return true;
}

} // namespace

std::span<const Phrase> underPhrases() {
    static const std::vector<Phrase> all{
        {.begins = {"under"},
         .of = onPlan,
         .read = &under,
         .help = "centred on their outline; for a window, against its wall",
         .example = "under sofa and coffee table; under seats; under window 1"},
        {.begins = {"under the front legs of", "under front legs of", "under the front legs",
                    "under front legs", "with the front legs of", "with front legs of",
                    "front legs of", "front legs on it", "front legs on", "with the front legs on",
                    "with front legs on", "with its front legs on", "its front legs on",
                    "just the front legs on", "only the front legs on", "just its front legs on",
                    "only its front legs on", "only front legs on"},
         .of = SaidOf::floor,
         .read = &frontLegs,
         .help = "a rug forward from under them, where the middle would go through the wall",
         .example = "under the front legs of sofa, 8 on; front legs on"},
    };
    return all;
}

} // namespace mezzet
