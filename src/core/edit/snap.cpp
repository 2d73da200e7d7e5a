#include "edit/snap.h"

#include "measure/text.h"

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

} // namespace

std::optional<SnapOffer> snapFor(const Project& job, const Scene& scene, int id, Vec2 step,
                                 Length reach) {
    const Piece* piece = scene.scheme->byId(id);
    const Placed* where = scene.byId(id);
    if (piece == nullptr || where == nullptr || piece->locked)
        return {};
    Piece p = *piece;
    p.pose = where->pose;
    p.pose.at = p.pose.at + step;
    const Room& room = *scene.room;
    // What depends on the piece can't hold it.
    std::set<int> behind{id};
    for (bool grew = true; grew;) {
        grew = false;
        for (const Piece& q : scene.scheme->pieces)
            if (behind.count(q.id) == 0 &&
                std::any_of(q.ties.begin(), q.ties.end(), [&](const Tie& t) {
                    return std::any_of(behind.begin(), behind.end(),
                                       [&](int b) { return t.refersTo(b); });
                })) {
                behind.insert(q.id);
                grew = true;
            }
    }
    std::vector<Candidate> found;
    const auto offer = [&](Tie t, double handicap, Segment shown) {
        const auto lines = tieLines(t, p, p.pose.turn, scene);
        if (lines.empty())
            return;
        const double off = lines[0].offset - dot(lines[0].normal, p.pose.at);
        if (std::abs(off) <= reach.mm())
            found.push_back({t, lines[0], off, std::abs(off) + handicap, shown});
    };
    const double quarterTurn = 0.05;
    for (std::size_t i = 0; i < room.walls.size(); ++i) {
        const Wall& w = room.walls[i];
        const double turned = difference(p.pose.turn, w.direction()).inRadians();
        Tie t;
        t.of = wallTarget(static_cast<int>(i));
        if (std::abs(turned) < quarterTurn && !p.kind->flat()) {
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
    for (const Placed& other : scene.placed) {
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
        const Piece& q = *scene.scheme->byId(other.id);
        if (q.kind->flat() && !p.kind->flat())
            continue;
        const bool beside =
            std::abs(local.x) - q.size.width.mm() / 2 > std::abs(local.y) - q.size.depth.mm() / 2;
        t.side = !beside ? Side::front : local.x < 0 ? Side::left : Side::right;
        offer(t, far / 500, {other.pose.at, p.pose.at});
    }
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

} // namespace mezzet
