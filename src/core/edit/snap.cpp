#include "edit/snap.h"

#include "measure/text.h"
#include "scheme/on_wall.h"

#include <algorithm>
#include <cmath>
#include <set>

namespace mezzet {

namespace {

struct Candidate {
    Tie tie;
    TieLine line;
    double off = 0;  ///< mm from where the piece is, along the normal
    double rank = 0; ///< by how near, walls and openings a little before pieces
    Segment shown;
};

/// Adds the tie to what is found when its line passes within `reach` of the piece.
void offerWithin(Length reach, std::vector<Candidate>& found, const Tie& t, double handicap,
                 Segment shown, const Piece& p, const Scene& scene) {
    const auto lines = tieLines(t, p, p.pose.turn, scene);
    if (lines.empty())
        return;
    const double off = lines[0].offset - dot(lines[0].normal, p.pose.at);
    if (std::abs(off) <= reach.mm())
        found.push_back({t, lines[0], off, std::abs(off) + handicap, shown});
}

/// The best of what is near, at most one across the other.
std::optional<SnapOffer> offerOf(std::vector<Candidate> found, const Project& job, const Piece& p,
                                 Vec2 step) {
    if (found.empty())
        return {};
    std::stable_sort(found.begin(), found.end(),
                     [](const Candidate& a, const Candidate& b) { return a.rank < b.rank; });
    SnapOffer out;
    out.step = step;
    std::vector<Candidate> taken;
    for (const Candidate& c : found) {
        if (taken.size() == 2 || std::any_of(taken.begin(), taken.end(), [&](const Candidate& t) {
                return std::abs(cross(t.line.normal, c.line.normal)) < 0.5;
            }))
            continue;
        taken.push_back(c);
    }
    if (taken.size() == 2) {
        const auto& a = taken[0].line;
        const auto& b = taken[1].line;
        const double det = cross(a.normal, b.normal);
        const Vec2 at{(a.offset * b.normal.y - b.offset * a.normal.y) / det,
                      (a.normal.x * b.offset - b.normal.x * a.offset) / det};
        out.step = step + (at - p.pose.at);
    } else {
        out.step = step + taken[0].line.normal * taken[0].off;
    }
    std::vector<std::string> said;
    for (const Candidate& c : taken) {
        out.ties.push_back(c.tie);
        out.lines.push_back(c.shown);
        said.push_back(words(c.tie, job.wording()));
    }
    out.words = listed(said);
    return out;
}

/// What depends on a piece, and the piece: they can't hold it.
std::set<int> hangingOn(const Scheme& scheme, int id) {
    std::set<int> behind{id};
    for (bool grew = true; grew;) {
        grew = false;
        for (const Piece& q : scheme.pieces) {
            if (behind.count(q.id) == 0 &&
                std::any_of(q.ties.begin(), q.ties.end(), [&](const Tie& t) {
                    return std::any_of(behind.begin(), behind.end(),
                                       [&](int b) { return t.refersTo(b); });
                })) {
                behind.insert(q.id);
                grew = true;
            }
        }
    }
    return behind;
}

/// On a wall: the middles of what stands before it, of openings and of what hangs there; eye level;
/// tops, middles and feet in line with those of what hangs there and of windows; the job's gap over
/// furniture, and a group's beside a neighbour.
std::optional<SnapOffer> wallSnap(const Project& job, const Scene& scene, const Piece& p, Vec2 step,
                                  Length reach) {
    const auto behind = hangingOn(*scene.scheme, p.id);
    const auto& book = *job.library.book;
    std::vector<Candidate> found;
    const auto offer = [&](const Tie& t, double handicap, Segment shown) {
        offerWithin(reach, found, t, handicap, shown, p, scene);
    };
    if (p.group() != 0)
        return {};
    const double high = job.room->ceiling.mm();
    const double length = job.room->walls[static_cast<std::size_t>(p.wall())].length().mm();
    const auto thing = [&](const Target& of, bool hangs, bool level) {
        const auto b = boxOn(of, p.wall(), scene);
        if (!b)
            return;
        const Vec2 m = b->centre();
        Tie t;
        t.of = of;
        t.kind = Tie::Kind::centredOn;
        offer(t, hangs ? 3 : 0, {{m.x, 0}, {m.x, high}});
        if (level) {
            t.kind = Tie::Kind::levelWith;
            for (const Level l : {Level::centre, Level::top, Level::bottom}) {
                t.level = t.levelOf = l;
                const double z = l == Level::centre ? m.y : l == Level::top ? b->high.y : b->low.y;
                offer(t, l == Level::centre ? 1 : 2, {{0, z}, {length, z}});
            }
        }
        if (hangs) {
            t = {};
            t.of = of;
            t.kind = Tie::Kind::fromPiece;
            t.distance = job.library.book->habit("group-gap");
            for (const Side side : {Side::left, Side::right}) {
                t.side = side;
                const double x = side == Side::left ? b->low.x : b->high.x;
                offer(t, 2, {{x, b->low.y}, {x, b->high.y}});
            }
        }
    };
    for (const Standing& s : standingBefore(scene, p.wall())) {
        const Piece& under = FloorView(scene).piece(s.index);
        if (under.kind->flat() || s.off > Length::inches(30).mm())
            continue;
        thing(pieceTarget(under.id), false, false);
        if (const Rule* above = book.byId("art-above")) {
            const Band band = job.judgement.bandOf(*above);
            Tie t;
            t.kind = Tie::Kind::above;
            t.of = pieceTarget(under.id);
            const double top = s.base + under.size.height.mm();
            for (const auto& bound : {band.low, band.high})
                if (bound) {
                    t.distance = Length::millimetres(*bound);
                    offer(t, 1, {{s.left, top + *bound}, {s.right, top + *bound}});
                }
        }
    }
    for (const Opening& o : job.room->openings)
        if (o.wall == p.wall())
            thing(targetOf(o), false, true);
    for (const Fixture& f : job.room->fixtures)
        if (f.wall == p.wall() && f.isBreast())
            thing(targetOf(f), false, false);
    for (const Piece& q : scene.scheme->on(p.on))
        if (behind.count(q.id) == 0 && q.group() == 0)
            thing(pieceTarget(q.id), true, true);
    thing(wallTarget(p.wall()), false, false);
    Tie eye;
    eye.kind = Tie::Kind::eyeLevel;
    eye.distance = eyeLevel(book, job.judgement);
    offer(eye, 0, {{0, eye.distance.mm()}, {length, eye.distance.mm()}});
    return offerOf(std::move(found), job, p, step);
}

} // namespace

std::optional<SnapOffer> snapFor(const Project& job, const Scene& scene, int id, Vec2 step,
                                 Length reach) {
    const Piece* piece = scene.scheme->byId(id);
    const Placed* where = scene.byId(id);
    if (piece == nullptr || where == nullptr || piece->locked || piece->on.isCarried())
        return {};
    Piece p = *piece;
    p.pose = where->pose;
    p.pose.at = p.pose.at + step;
    if (p.onWall())
        return wallSnap(job, scene, p, step, reach);
    const Room& room = *scene.room;
    const auto behind = hangingOn(*scene.scheme, id);
    std::vector<Candidate> found;
    const auto offer = [&](const Tie& t, double handicap, Segment shown) {
        offerWithin(reach, found, t, handicap, shown, p, scene);
    };
    const double quarterTurn = 0.05;
    for (std::size_t i = 0; i < room.walls.size(); ++i) {
        const Wall& w = room.walls[i];
        const double turned = difference(p.pose.turn, w.direction()).inRadians();
        Tie t;
        t.of = wallTarget(static_cast<int>(i));
        if (std::abs(turned) < quarterTurn && !p.kind->flat() && p.on.isFloor()) {
            t.kind = Tie::Kind::against;
            offer(t, 0, {w.start, w.end});
        }
        if (std::abs(std::sin(turned)) < quarterTurn || std::abs(std::cos(turned)) < quarterTurn) {
            t.kind = Tie::Kind::centredOn;
            const Vec2 m = (w.start + w.end) / 2;
            if (std::abs(dot(p.pose.at - w.start, w.inward())) < 3000)
                offer(t, 4, {m, m + w.inward() * 3000});
        }
    }
    for (const Opening& o : room.openings) {
        if (o.kind != OpeningKind::window)
            continue;
        const Wall& w = room.walls[static_cast<std::size_t>(o.wall)];
        if (std::abs(dot(p.pose.at - w.start, w.inward())) > 2500)
            continue;
        Tie t;
        t.kind = Tie::Kind::centredOn;
        t.of = targetOf(o);
        const Vec2 m = middleOf(room, o);
        offer(t, 0, {m, m + w.inward() * 2500});
    }
    for (const Fixture& f : room.fixtures) {
        if (!f.isBreast())
            continue;
        const Wall& w = room.walls[static_cast<std::size_t>(f.wall)];
        Tie t;
        t.kind = Tie::Kind::centredOn;
        t.of = targetOf(f);
        const Vec2 m = w.at(f.left + f.width / 2);
        offer(t, 0, {m, m + w.inward() * 4000});
    }
    for (const Placed& other : scene.floor.placed) {
        if (behind.count(other.id) != 0)
            continue;
        const double far = norm(other.shape.centre - p.pose.at);
        if (far > 3000)
            continue;
        const double turned = difference(p.pose.turn, other.pose.turn).inRadians();
        if (std::abs(std::sin(turned)) > quarterTurn && std::abs(std::cos(turned)) > quarterTurn)
            continue;
        Tie t;
        t.kind = Tie::Kind::centredOn;
        t.of = pieceTarget(other.id);
        const Vec2 local = other.pose.toLocal(p.pose.at);
        // Beside it, centred along its depth; before or behind it, along its width.
        const Piece& q = *scene.pieceById(other.id);
        if (q.kind->flat() && !p.kind->flat() && p.on.isFloor())
            continue;
        const bool beside =
            std::abs(local.x) - q.size.width.mm() / 2 > std::abs(local.y) - q.size.depth.mm() / 2;
        t.side = !beside ? Side::front : local.x < 0 ? Side::left : Side::right;
        offer(t, far / 500, {other.pose.at, p.pose.at});
    }
    return offerOf(std::move(found), job, p, step);
}

} // namespace mezzet
