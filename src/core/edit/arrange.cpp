#include "edit/arrange.h"
#include "edit/drag.h"
#include "edit/landing.h"
#include "edit/new_piece.h"
#include "geometry/gap.h"
#include "measure/text.h"
#include "measure/texts.h"
#include "scheme/rug.h"
#include "scheme/surfaces.h"
#include "scheme/tie_kind.h"

#include <algorithm>
#include <cmath>
#include <set>

namespace mezzet {

namespace {

std::string namesOf(const Scheme& s, const std::vector<int>& ids) {
    std::vector<std::string> names;
    for (const int id : ids)
        names.push_back(s.byId(id)->name);
    return listed(names);
}

/// Each piece's own step, as one edit.
Edit stepped(const Project& job, const Scene& scene, const std::vector<std::pair<int, Vec2>>& steps,
             std::string words) {
    Edit out;
    out.words = std::move(words);
    for (const auto& [id, step] : steps) {
        if (norm(step) < 1e-6)
            continue;
        const auto moved = drag(job, scene, {id}, step, DragTies::revalue);
        out.acts.insert(out.acts.end(), moved.edit.acts.begin(), moved.edit.acts.end());
        out.notices.insert(out.notices.end(), moved.edit.notices.begin(), moved.edit.notices.end());
    }
    return out;
}

/// How far in chairs round an oval may go before two of them meet.
Length roundRoom(const Piece& table, int count, Size chair) {
    const auto places = placesAt(table, count);
    const auto meet = [&](double in) {
        std::vector<Shape> chairs;
        for (const TablePlace& place : places) {
            const Vec2 at = place.edge - place.looks * (chair.depth.mm() / 2 - in);
            chairs.push_back(placed(rectangle(chair.width, chair.depth),
                                    {at, directionOf(place.looks) - Angle::degrees(90)}));
        }
        for (std::size_t i = 0; i < chairs.size(); ++i)
            if (chairs.size() > 1 &&
                gapBetween(chairs[i], chairs[(i + 1) % chairs.size()]).depth > Length{})
                return true;
        return false;
    };
    double in = chair.depth.mm() / 2;
    while (in > 0 && meet(in))
        in -= 6;
    return Length::millimetres(std::max(in, 0.0));
}

/// How far in a chair at a table's side may go before it meets one round the corner.
Length endRoom(const Piece& table, int count, int place, Length chair) {
    const auto places = placesAt(table, count);
    const TablePlace& own = places[static_cast<std::size_t>(place)];
    double room = 1e300;
    for (const TablePlace& other : places) {
        if (std::abs(dot(other.looks, own.looks)) > 0.5)
            continue;
        // Both are half a chair wide about their places; a finger is left between them.
        const double along = std::abs(dot(other.edge - own.edge, own.looks));
        const double aside = std::abs(dot(other.edge - own.edge, other.looks));
        const double half = chair.mm() / 2;
        if (aside < half + table.size.width.mm())
            room = std::min(room, along - half - 12);
    }
    return Length::millimetres(std::max(room, 0.0));
}

} // namespace

int seatsBy(const Piece& table, Length each) {
    const double w = table.size.width.mm();
    const double d = table.size.depth.mm();
    const double e = each.mm();
    if (e <= 0)
        return 0;
    if (table.footprint.form == FootprintForm::oval) {
        return static_cast<int>(std::floor(ellipsePerimeter(w / 2, d / 2) / e + 1e-9));
    }
    return 2 * static_cast<int>(std::floor(w / e + 1e-9)) +
           2 * static_cast<int>(std::floor(d / e + 1e-9));
}

void enlargeFor(Piece& table, int people, const Project& job) {
    const Length step = isMetric(job.notation.units) ? Length::centimetres(10) : Length::inches(6);
    const bool round =
        table.footprint.form == FootprintForm::oval && table.size.width == table.size.depth;
    const Length each = elbowRoom(job);
    Size s = table.size;
    for (int i = 0; i < 100 && seatsBy(table, each) < people; ++i) {
        s.width = s.width + step;
        if (round)
            s.depth = s.width;
        giveSize(table, s);
    }
}

Length elbowRoom(const Project& job) {
    const Rule* width = job.library.book->byId("diner-width");
    return Length::millimetres(width != nullptr ? job.judgement.bandOf(*width).low.value_or(0) : 0);
}

KindPtr usualChair(const Project& job, int table) {
    for (const auto& p : job.scheme().pieces)
        if (p.kind->role == Role::diningChair && table != 0 &&
            std::any_of(p.ties.begin(), p.ties.end(),
                        [&](const Tie& t) { return t.refersTo(table); }))
            return p.kind;
    const Piece* at = job.scheme().byId(table);
    if (at != nullptr && at->kind->role == Role::desk)
        if (auto k = job.library.kit->byId("desk-chair"))
            return k;
    for (const auto& k : job.library.kit->kinds())
        if (k->role == Role::diningChair)
            return k;
    return {};
}

const Tie* tieToTable(const Piece& seat, const Scheme& scheme) {
    const Tie* out = nullptr;
    using K = Tie::Kind;
    for (const K kind : {K::atPlace, K::fromPiece, K::facing})
        for (const Tie& t : seat.ties) {
            const Piece* of = t.of.is == Target::Is::piece ? scheme.byId(t.of.piece) : nullptr;
            if (out == nullptr && t.kind == kind && of != nullptr && of->kind->isSatInTo() &&
                (kind == K::atPlace || seat.kind->isSeat()))
                out = &t;
        }
    return out;
}

Length tuckedUnder(const Piece& seat, const Kind& table) {
    const Length high = seat.heights.seat.value_or(seat.size.height);
    return table.clearBelow > high ? seat.size.depth * 0.5 : Length{};
}

Length tuckedAt(const Piece& seat, const Piece& table, const Tie& place) {
    const Length under = tuckedUnder(seat, *table.kind);
    if (place.kind != Tie::Kind::atPlace || place.places < 2)
        return under;
    return std::min(under, table.footprint.form == FootprintForm::rectangle
                               ? endRoom(table, place.places, place.place - 1, seat.size.width)
                               : roundRoom(table, place.places, seat.size));
}

namespace {

/// The places that chairs take at a table, and of how many: as many as are asked for, or, where one
/// of those is in a wall or in what stands there, as many free ones of some more, up to `most`;
/// what stands there only counts where it can be kept clear of.
std::pair<std::vector<int>, int> freePlaces(const Scene& scene, const Piece& t, int count, int most,
                                            const Piece& chair, Length under) {
    std::vector<int> all;
    for (int i = 0; i < count; ++i)
        all.push_back(i);
    const Placed* there = scene.inPlan(t.id);
    constexpr int more = 6;
    const auto poseAt = [&](const TablePlace& place, Length in) {
        const Vec2 at = place.edge - place.looks * (chair.size.depth / 2 - in).mm();
        Pose pose;
        pose.at = there->pose.toRoom(at);
        pose.turn = directionOf(place.looks) - Angle::degrees(90) + there->pose.turn;
        return pose;
    };
    constexpr double touching = 0.5; // mm: less is no overlap
    for (const bool clear : {true, false})
        for (int n = count; there != nullptr && n <= std::min(count + more, most); ++n) {
            std::vector<int> free;
            std::vector<Shape> taken;
            const auto places = placesAt(t, n);
            for (int i = 0; i < n; ++i) {
                const auto& place = places[static_cast<std::size_t>(i)];
                const Pose pose = poseAt(place, under);
                if (!(clear ? clearAtTable(scene, chair, pose)
                            : insideRoom(scene, placed(chair.shape(), pose))))
                    continue;
                const Shape shape = placed(chair.shape(), poseAt(place, Length{}));
                // With more places than chairs two may be too close to sit at both.
                if (n > count && std::any_of(taken.begin(), taken.end(), [&](const Shape& s) {
                        return gapBetween(s, shape).depth.mm() > touching;
                    }))
                    continue;
                free.push_back(i);
                taken.push_back(shape);
            }
            if (static_cast<int>(free.size()) >= count) {
                free.resize(static_cast<std::size_t>(count));
                return {free, n};
            }
        }
    return {all, count};
}

} // namespace

Result<Edit> seatTable(const Project& job, const Scene& scene, int table, int count,
                       const KindPtr& kind) {
    const Piece& t = *job.scheme().byId(table);
    if (!t.kind->isSatInTo())
        return Problem{worded("nobody sits in to {}", t.name), "name a dining table or a desk"};
    if (count < 1 || count > mostAtTable)
        return Problem{worded("a table seats 1 to {}", mostAtTable), "say another number"};
    Edit out;
    out.words = worded("seat {} at {}", count, t.name);
    Scheme names = job.scheme();
    std::vector<const Piece*> there;
    for (const Piece& p : job.scheme().pieces)
        if (p.kind->role == Role::diningChair && !p.locked &&
            std::any_of(p.ties.begin(), p.ties.end(), [&](const Tie& tie) {
                return tie.of == pieceTarget(table) &&
                       (tie.kind == Tie::Kind::atPlace || tie.kind == Tie::Kind::fromPiece);
            }))
            there.push_back(&p);
    // Chairs that are there keep to the usual places.
    const Piece any = pieceOf(kind);
    const auto [places, of] = freePlaces(scene, t, count, there.empty() ? mostAtTable : count, any,
                                         tuckedUnder(any, *t.kind));
    for (int i = 0; i < count; ++i) {
        Piece p;
        const bool old = static_cast<std::size_t>(i) < there.size();
        if (old) {
            p = *there[static_cast<std::size_t>(i)];
            p.pose = scene.byId(p.id)->pose;
        } else {
            p = pieceOf(kind);
            p.name = names.freeName(worded("{} {}", kind->name, i + 1));
            names.pieces.push_back(p);
        }
        Tie tie;
        tie.kind = Tie::Kind::atPlace;
        tie.of = pieceTarget(table);
        tie.place = places[static_cast<std::size_t>(i)] + 1;
        tie.places = of;
        const Length under = tuckedUnder(p, *t.kind);
        tie.distance = under > Length{} ? -under : job.library.book->habit("chair-drawn");
        if (tie.distance < Length{})
            tie.distance = -tuckedAt(p, t, tie);
        if (old)
            for (const Tie& was : p.ties)
                if (was.kind == Tie::Kind::atPlace)
                    // No farther under it than its new neighbours leave it room.
                    tie.distance = was.distance < Length{}
                                       ? std::max(was.distance, -tuckedAt(p, t, tie))
                                       : was.distance;
        p.ties = {tie};
        out.acts.emplace_back(PutPiece{std::move(p)});
    }
    for (std::size_t i = static_cast<std::size_t>(count); i < there.size(); ++i)
        out.acts.emplace_back(RemovePiece{there[i]->id});
    return out;
}

Edit alignPieces(const Project& job, const Scene& scene, const std::vector<int>& ids, AlignBy by) {
    std::vector<std::pair<int, Vec2>> steps;
    if (ids.empty())
        return {};
    const Placed& first = *scene.byId(ids.front());
    const Vec2 right = first.pose.right();
    const Vec2 front = first.pose.front();
    const auto edge = [&](const Placed& p) {
        switch (by) {
        case AlignBy::fronts:
            return extent(p.shape, front);
        case AlignBy::backs:
            return -extent(p.shape, -front);
        case AlignBy::rights:
            return extent(p.shape, right);
        case AlignBy::lefts:
            return -extent(p.shape, -right);
        case AlignBy::middlesAcross:
            return (extent(p.shape, right) - extent(p.shape, -right)) / 2;
        case AlignBy::middlesAlong:
            return (extent(p.shape, front) - extent(p.shape, -front)) / 2;
        }
        return 0.0;
    };
    const bool across =
        by == AlignBy::rights || by == AlignBy::lefts || by == AlignBy::middlesAcross;
    const Vec2 way = across ? right : front;
    const double line = edge(first);
    for (std::size_t i = 1; i < ids.size(); ++i)
        steps.emplace_back(ids[i], way * (line - edge(*scene.byId(ids[i]))));
    return stepped(job, scene, steps, "line up " + namesOf(job.scheme(), ids));
}

Result<Edit> spreadPieces(const Project& job, const Scene& scene, std::vector<int> ids) {
    if (ids.size() < 3)
        return Problem{"two pieces are always evenly spread", "name three or more"};
    // Along the room's own axis that they are spread most over.
    Box middles;
    for (const int id : ids)
        middles.include(scene.byId(id)->pose.at);
    const Placed& one = *scene.byId(ids.front());
    Vec2 way = middles.size().x >= middles.size().y ? Vec2{1, 0} : Vec2{0, 1};
    // A row that stands along the first piece's own side is spread along that.
    for (const Vec2 own : {one.pose.right(), one.pose.front()})
        if (std::abs(dot(own, way)) > 0.75)
            way = own * (dot(own, way) < 0 ? -1 : 1);
    std::sort(ids.begin(), ids.end(), [&](int a, int b) {
        return dot(scene.byId(a)->pose.at, way) < dot(scene.byId(b)->pose.at, way);
    });
    const auto low = [&](int id) { return -extent(scene.byId(id)->shape, -way); };
    const auto high = [&](int id) { return extent(scene.byId(id)->shape, way); };
    double room = low(ids.back()) - high(ids.front());
    for (std::size_t i = 1; i + 1 < ids.size(); ++i)
        room -= high(ids[i]) - low(ids[i]);
    const double gap = room / static_cast<double>(ids.size() - 1);
    std::vector<std::pair<int, Vec2>> steps;
    double at = high(ids.front());
    for (std::size_t i = 1; i + 1 < ids.size(); ++i) {
        at += gap;
        steps.emplace_back(ids[i], way * (at - low(ids[i])));
        at += high(ids[i]) - low(ids[i]);
    }
    return stepped(job, scene, steps, "spread " + namesOf(job.scheme(), ids) + " evenly");
}

namespace {

/// The targets a mirrored tie may mean: a piece stays itself, a wall or an opening may be another.
std::vector<Target> mirrored(const Target& t, const Room& room) {
    std::vector<Target> out{t};
    const auto add = [&](int index) {
        Target other = t;
        other.index = index;
        if (index != t.index)
            out.push_back(other);
    };
    switch (t.is) {
    case Target::Is::wall:
    case Target::Is::corner:
        for (std::size_t i = 0; i < room.walls.size(); ++i)
            add(static_cast<int>(i));
        if (t.is == Target::Is::corner) {
            const auto once = out;
            for (Target other : once) {
                other.alongNext = !other.alongNext;
                out.push_back(other);
            }
        }
        break;
    case Target::Is::window:
    case Target::Is::door:
    case Target::Is::opening:
        for (const auto& o : room.openings) {
            if (targetOf(o).is == t.is)
                add(o.number);
        }
        break;
    case Target::Is::none:
    case Target::Is::piece:
    case Target::Is::chimney:
    case Target::Is::room:
    case Target::Is::fixture:
    case Target::Is::ceiling:
    case Target::Is::skirting:
    case Target::Is::chairRail:
    case Target::Is::pictureRail:
        break;
    }
    return out;
}

/// Whether a tie holds for a piece where it stands.
bool holds(const Tie& t, const Piece& p, const Scene& scene, const RoomPtr& room, Notation n) {
    auto alone = std::make_shared<Scheme>(*scene.scheme);
    for (Piece& q : alone->pieces)
        q.ties.clear();
    alone->byId(p.id)->ties = {t};
    const auto there = resolve(room, alone, n);
    if (!there || !(*there)->overTied.empty())
        return false;
    const Placed& now = *(*there)->byId(p.id);
    return norm(now.pose.at - p.pose.at) < 0.5 &&
           std::abs(difference(now.pose.turn, p.pose.turn).inDegrees()) < 0.05;
}

} // namespace

Result<Edit> mirrorPieces(const Project& job, const Scene& scene, const std::vector<int>& ids,
                          MirrorBy by) {
    const Vec2 middle = job.room->bounds().centre();
    auto flipped = std::make_shared<Scheme>(job.scheme());
    std::set<int> moves;
    for (const int id : ids)
        if (const Piece* p = job.scheme().byId(id); p != nullptr && !p->locked && !p->onWall())
            moves.insert(id);
    for (Piece& p : flipped->pieces) {
        p.pose = scene.byId(p.id)->pose;
        if (moves.count(p.id) == 0)
            continue;
        if (p.on.isCarried()) {
            // Along its board left and right change places, whichever way the room is mirrored.
            const Box board = boardOf(*flipped->byId(p.on.piece), p.on);
            p.pose.at.x = 2 * board.centre().x - p.pose.at.x;
            p.pose.turn = (-p.pose.turn).normalised();
            continue;
        }
        if (by == MirrorBy::leftRight) {
            p.pose.at.x = 2 * middle.x - p.pose.at.x;
            p.pose.turn = (-p.pose.turn).normalised();
        } else {
            p.pose.at.y = 2 * middle.y - p.pose.at.y;
            p.pose.turn = (Angle::degrees(180) - p.pose.turn).normalised();
        }
        p.footprint.armOnRight = !p.footprint.armOnRight;
        mirrorRug(p);
    }
    const Scheme before = job.scheme();
    Scene bare;
    bare.room = job.room;
    bare.scheme = flipped;
    Edit out;
    out.words = static_cast<std::ptrdiff_t>(moves.size()) ==
                        std::count_if(flipped->pieces.begin(), flipped->pieces.end(),
                                      [](const Piece& p) { return !p.onWall(); })
                    ? std::string("mirror the layout")
                    : "mirror " + namesOf(before, {ids});
    for (const int id : moves) {
        Piece p = *flipped->byId(id);
        const auto old = p.ties;
        p.ties.clear();
        for (const Tie& was : old) {
            std::optional<Tie> now;
            for (const Target& of : mirrored(was.of, *job.room)) {
                const auto ways = tieKind(was.kind).mirrored;
                for (Tie t : ways != nullptr ? ways(was, p) : std::vector{was}) {
                    t.of = of;
                    if (!now && holds(t, p, bare, job.room, job.notation))
                        now = t;
                }
                if (now)
                    break;
            }
            if (now)
                p.ties.push_back(*now);
            else
                out.notices.push_back(
                    worded("{} lets go of “{}”", p.name, words(was, job.wording())));
        }
        out.acts.emplace_back(PutPiece{std::move(p)});
    }
    if (out.acts.empty())
        return Problem{"there is nothing to mirror that is not locked", "unlock a piece first"};
    return out;
}

} // namespace mezzet
