// Ways through the room and to what is in it: walkway-main, walkway-minor, turning-circle.
#include "judge/ways.h"

#include "judge/at_table.h"
#include "judge/floor_ways.h"
#include "judge/rule_code.h"
#include "ways/path.h"

#include <algorithm>
#include <array>
#include <numeric>
#include <set>

namespace mezzet {

namespace {

std::vector<std::size_t> waysIn(const Room& room) {
    std::vector<std::size_t> out;
    for (std::size_t i = 0; i < room.openings.size(); ++i)
        if (isWayIn(room.openings[i]))
            out.push_back(i);
    return out;
}

/// A way begins anywhere across its doorway: behind it there is room.
WayEnd endAt(const FloorWays& ways, std::size_t opening) {
    return {ways.thresholds[opening], static_cast<int>(opening), false};
}

/// No way at all, to within what can be measured.
bool isShut(Length width) {
    return width <= Length::millimetres(0.01);
}

/// What a pinch is between; `place` names the end it is too close to, when it is an end's.
struct Between {
    Target piece;
    Target other;
};
Between between(const FloorWays& ways, const Pinch& p, const Opened& opened, const Target& place) {
    const auto owner = [&](std::size_t i) {
        const auto& blocks = ways.finder.blocks();
        return ways.ownerOf(i < blocks.size() ? blocks[i] : opened.with[i - blocks.size()]);
    };
    Between out{owner(p.first), p.first == p.second ? place : owner(p.second)};
    if (out.piece.is != Target::Is::piece)
        std::swap(out.piece, out.other);
    return out;
}

void judgeMain(const FloorContext& c) {
    const Room& room = *c.scene.room;
    const auto doors = waysIn(room);
    if (!room.closed || doors.size() < 2 || c.scene.placed.empty())
        return;
    std::set<std::pair<std::size_t, std::size_t>> told;
    // Past a chair that is sat in, less will do: what is left of the way from the table's edge.
    Band besideChairs = c.band;
    const Length chair = c.shared.setting("chair-pull-out", "draw");
    if (besideChairs.low && c.judgement.choices.count(c.rule.id) == 0)
        besideChairs.low =
            std::min(*besideChairs.low, (c.rule.setting("from the table in use") - chair).mm());
    for (std::size_t x = 0; x < doors.size(); ++x) {
        for (std::size_t y = x + 1; y < doors.size(); ++y) {
            if (c.leaveOff())
                return;
            std::optional<double> before;
            for (const bool used : {false, true}) {
                if (used && !c.shared.hasChairs())
                    continue;
                const FloorWays& ways = c.shared.ways(used);
                const Band& band = used ? besideChairs : c.band;
                const auto pinch =
                    ways.finder.narrowest(endAt(ways, doors[x]), endAt(ways, doors[y]));
                const Target from = targetOf(room.openings[doors[x]]);
                const Target goal = targetOf(room.openings[doors[y]]);
                c.ways.push_back({&c.rule, from, goal, 0, used,
                                  (pinch ? pinch->width : c.rule.setting("look")).mm(),
                                  band.low.value_or(0)});
                if (!pinch)
                    continue;
                if (!used)
                    before = pinch->width.mm();
                else if (before && pinch->width.mm() > *before - 1)
                    continue; // chairs don't narrow it
                const auto [first, second] = std::minmax(pinch->first, pinch->second);
                if (!told.insert({first * 2 + (used ? 1 : 0), second}).second)
                    continue;
                const auto b = between(ways, *pinch, {}, goal);
                if (b.piece.is != Target::Is::piece)
                    continue; // walls alone are as they are
                Reading& r = c.add(b.piece.piece, b.other, Amount::of(pinch->width), band,
                                   pinch->onFirst, pinch->onSecond);
                r.inUse = used;
                r.from = from;
                r.goal = goal;
                if (r.toMend())
                    r.instead = isShut(pinch->width) ? (used ? "shut in use" : "shut")
                                : used               ? "in use"
                                                     : "";
            }
        }
    }
}

/// The door from which a goal is best reached, and how narrow that way is; no pinch when it is
/// wider than is of interest.
struct BestWay {
    std::size_t door = 0;
    std::optional<Pinch> pinch;
};
/// The doors that ways to goals begin at, made ready.
struct Doors {
    std::vector<std::size_t> doors;
    std::vector<WayFinder::Starts> starts; ///< of at most `mostStarts` of them each
};
Doors doorsOf(const Room& room, const FloorWays& ways) {
    Doors out{waysIn(room), {}};
    for (std::size_t from = 0; from < out.doors.size(); from += WayFinder::mostStarts) {
        std::vector<WayEnd> ends;
        for (std::size_t i = from; i < std::min(out.doors.size(), from + WayFinder::mostStarts);
             ++i)
            ends.push_back(endAt(ways, out.doors[i]));
        out.starts.push_back(ways.finder.startsAt(std::move(ends)));
    }
    return out;
}
/// Ways of `limit` or more are wide enough to be no matter.
BestWay bestWay(const Doors& doors, const FloorWays& ways, const Goal& g, Length limit) {
    std::optional<BestWay> best;
    std::size_t i = 0;
    for (const auto& starts : doors.starts)
        for (const auto& pinch : ways.finder.narrowest(starts, g.end, g.opened, limit)) {
            const std::size_t door = doors.doors[i++];
            if (!pinch)
                return {door, {}};
            if (!best || pinch->width > best->pinch->width)
                best = BestWay{door, pinch};
        }
    return best.value_or(BestWay{});
}

void judgeMinor(const FloorContext& c) {
    const Room& room = *c.scene.room;
    if (!room.closed || waysIn(room).empty() || c.scene.placed.empty())
        return;
    const Length look = c.rule.setting("look");
    const FloorWays& ways = c.shared.ways(false);
    const auto goals = goalsOf(c.scene, ways, c.rule.setting("lean over"));
    const Doors doors = doorsOf(room, ways);
    std::vector<std::optional<Pinch>> found;
    found.reserve(goals.size());
    for (const Goal& g : goals) {
        if (c.leaveOff())
            return;
        found.push_back(bestWay(doors, ways, g, look).pinch);
        const auto& pinch = found.back();
        c.ways.push_back({&c.rule,
                          {},
                          g.what,
                          g.part,
                          false,
                          pinch ? std::min(pinch->width, look).mm() : look.mm(),
                          c.band.low.value_or(0)});
    }
    // Of a bed for one the better side counts, for both.
    const auto twinOf = [&](std::size_t i) -> std::optional<std::size_t> {
        const Goal& g = goals[i];
        if (g.part == 0 || c.scene.scheme->byId(g.piece)->size.width >= c.rule.setting("for two"))
            return {};
        return g.part == 1 ? i + 1 : i - 1;
    };
    const std::size_t firstWay = c.ways.size() - goals.size();
    for (std::size_t i = 0; i < goals.size(); ++i)
        if (const auto twin = twinOf(i); twin && goals[i].part == 1) {
            WayWidth& one = c.ways[firstWay + i];
            WayWidth& other = c.ways[firstWay + *twin];
            one.width = other.width = std::max(one.width, other.width);
        }
    // One narrow place is told once, however many ways lead through it; what the way through the
    // room tells already is not told again.
    struct Told {
        Target first;
        Target second;
        std::optional<std::size_t> reading; ///< none when the way through tells it
    };
    std::vector<Told> told;
    // In an order that their places give, so that the same goal is told whichever came first.
    std::vector<std::size_t> order(goals.size());
    std::iota(order.begin(), order.end(), std::size_t{0});
    std::stable_sort(order.begin(), order.end(), [&](std::size_t a, std::size_t b) {
        const Vec2 p = goals[a].end.at;
        const Vec2 q = goals[b].end.at;
        return p.x != q.x ? p.x < q.x : p.y < q.y;
    });
    for (const Reading& r : c.out)
        if (r.rule->id == "walkway-main" && !r.inUse)
            told.push_back({pieceTarget(r.piece), r.other, {}});
    for (const std::size_t i : order) {
        const Goal& g = goals[i];
        if (!found[i] || found[i]->width >= look)
            continue;
        // One sleeper gets in at the better side.
        if (const auto twin = twinOf(i);
            twin && (!found[*twin] || found[*twin]->width > found[i]->width ||
                     (found[*twin]->width == found[i]->width && g.part == 2)))
            continue;
        const auto b = between(ways, *found[i], g.opened, g.what);
        if (b.piece.is != Target::Is::piece)
            continue; // walls alone are as they are
        const bool atGoal = b.piece == g.what || b.other == g.what;
        const auto before = std::find_if(told.begin(), told.end(), [&](const Told& t) {
            return (t.first == b.piece && t.second == b.other) ||
                   (t.first == b.other && t.second == b.piece);
        });
        if (before != told.end()) {
            if (before->reading)
                c.out[*before->reading].second.value += 1;
            continue;
        }
        told.push_back({b.piece, b.other, c.out.size()});
        // About the goal when it is narrow there, else about the piece that makes it narrow.
        const Target subject = b.other == g.what && g.piece != 0 ? g.what : b.piece;
        Target past = subject == b.piece ? b.other : b.piece;
        if (past == subject) { // shut in by several: no one of them is it
            past = roomTarget();
        }
        auto& r = c.add(subject.piece, past, Amount::of(found[i]->width), found[i]->onFirst,
                        found[i]->onSecond);
        r.part = g.part;
        r.goal = g.what;
        r.instead = isShut(found[i]->width) ? "shut" : "";
        r.second = {Quantity::count, 1};
        if (!atGoal)
            r.also = g.piece;
    }
}

void judgeTurning(const FloorContext& c) {
    const Room& room = *c.scene.room;
    if (!c.judgement.access || !room.closed || c.scene.placed.empty())
        return;
    const auto circle = largestCircle(c.shared.ways(false).finder.blocks(), room.edge);
    const Vec2 side{circle.radius.mm(), 0};
    c.add(0, roomTarget(), Amount::of(circle.radius * 2), circle.centre - side,
          circle.centre + side);
}

/// Either side of the pinch gives way.
std::vector<Handle> widen(const Reading& r, double target, const Project& job, const Scene& scene) {
    const double by = target - r.value.value;
    std::vector<Handle> out;
    if (r.piece == 0)
        return out;
    const auto apart = [&](int piece, Target from) {
        // A chair stays at its table: the table moves, and takes it along.
        const auto tableAt = [&](int id) {
            const Piece& p = *job.scheme().byId(id);
            for (const Tie& t : p.ties)
                if (p.kind->role == Role::diningChair && t.of.is == Target::Is::piece &&
                    (t.kind == Tie::Kind::atPlace || t.kind == Tie::Kind::fromPiece))
                    return t.of.piece;
            return id;
        };
        piece = tableAt(piece);
        if (from.is == Target::Is::piece && tableAt(from.piece) == piece)
            return;
        if (!job.scheme().byId(piece)->locked)
            out.push_back(moveAway(job, scene, piece, from, by));
    };
    apart(r.piece, r.other);
    if (r.other.is == Target::Is::piece)
        apart(r.other.piece, pieceTarget(r.piece));
    if (r.also != 0) {
        apart(r.also, r.other);
        apart(r.also, pieceTarget(r.piece));
        if (r.other.is == Target::Is::piece)
            apart(r.other.piece, pieceTarget(r.also));
    }
    return out;
}

constexpr std::array<RuleCode, 3> waysCodes{
    {{"walkway-main", judgeMain, widen},
     {"walkway-minor", judgeMinor, widen, false, false, "walkway-main"},
     {"turning-circle", judgeTurning, widen}}};

} // namespace

bool WayBetween::isShut() const {
    return width && mezzet::isShut(*width);
}

std::optional<WayBetween> wayBetween(const FloorView& scene, const RuleBook& book,
                                     const std::optional<Target>& from, const Target& to) {
    const Room& room = *scene.room;
    const auto doors = waysIn(room);
    const Rule* minor = book.byId("walkway-minor");
    if (!room.closed || minor == nullptr)
        return {};
    Shared shared(scene, book);
    const FloorWays& ways = shared.ways(false);
    const auto goals = goalsOf(scene, ways, minor->setting("lean over"));
    struct Place {
        WayEnd end;
        Opened opened;
    };
    const auto placesOf = [&](const Target& t) {
        std::vector<Place> out;
        for (const std::size_t d : doors)
            if (targetOf(room.openings[d]) == t)
                out.push_back({endAt(ways, d), {}});
        for (const Goal& g : goals)
            if (g.what == t)
                out.push_back({g.end, g.opened});
        // Of what is not sat on, lain in or opened: any of its sides.
        const Placed* piece =
            t.is == Target::Is::piece && out.empty() ? scene.byId(t.piece) : nullptr;
        if (piece != nullptr && scene.scheme->byId(t.piece)->on.isFloor()) {
            constexpr double off = 1; // mm
            for (const Vec2 way : {piece->pose.front(), -piece->pose.front(), piece->pose.right(),
                                   -piece->pose.right()}) {
                const double far = extent(piece->shape, way) - dot(piece->pose.at, way) + off;
                out.push_back({{piece->pose.at + way * far, -1, false}, {}});
            }
        }
        return out;
    };
    std::vector<std::pair<Target, Place>> begins;
    if (from)
        for (auto& p : placesOf(*from))
            begins.emplace_back(*from, std::move(p));
    else
        for (const std::size_t d : doors)
            // To a door one comes from another, where there is one.
            if (doors.size() == 1 || targetOf(room.openings[d]) != to)
                begins.emplace_back(targetOf(room.openings[d]), Place{endAt(ways, d), {}});
    std::optional<WayBetween> best;
    for (const auto& end : placesOf(to))
        for (const auto& [what, begin] : begins) {
            Opened opened = end.opened;
            opened.without.insert(opened.without.end(), begin.opened.without.begin(),
                                  begin.opened.without.end());
            opened.with.insert(opened.with.end(), begin.opened.with.begin(),
                               begin.opened.with.end());
            const auto pinch = ways.finder.narrowest(begin.end, end.end, opened);
            if (best && (!best->width || (pinch && pinch->width <= *best->width)))
                continue;
            best = WayBetween{what, to, {}, {}, {}};
            if (pinch) {
                best->width = pinch->width;
                const auto b = between(ways, *pinch, opened, to);
                best->narrowBy = b.piece;
                best->beside = b.other;
            }
        }
    return best;
}

std::span<const RuleCode> wayRules() {
    return waysCodes;
}

std::vector<DrawnWay> waysToDraw(const FloorView& scene, const RuleBook& book,
                                 const Judgement& judgement, int to) {
    std::vector<DrawnWay> out;
    const Room& room = *scene.room;
    const auto doors = waysIn(room);
    if (!room.closed || doors.empty())
        return out;
    Shared shared(scene, book);
    const FloorWays& ways = shared.ways(false);
    const Rule* main = book.byId("walkway-main");
    const Rule* minor = book.byId("walkway-minor");
    // Drawn as wide as the rule asks, or as the doors and the narrowest place allow.
    const auto draw = [&](const std::optional<Pinch>& pinch, const WayEnd& from, const WayEnd& end,
                          const Opened& opened, const Rule* rule, Length narrowestDoor) {
        DrawnWay w;
        if (pinch) {
            w.width = pinch->width;
            w.pinch = {pinch->onFirst, pinch->onSecond};
        }
        const Band band = rule != nullptr ? judgement.bandOf(*rule) : Band{};
        w.right = !w.width || !band.low || w.width->mm() >= *band.low - 0.005;
        const Length most = std::min(narrowestDoor, Length::millimetres(band.low.value_or(0)));
        PathAsked asked{&ways.finder.blocks(), opened.without, from.at, end.at,
                        std::min(w.width.value_or(most), most) / 2};
        w.line = drawnPath(asked);
        if (!w.line.empty())
            out.push_back(std::move(w));
    };
    const auto width = [&](std::size_t door) { return room.openings[door].width; };
    if (to == 0) {
        for (std::size_t x = 0; x < doors.size(); ++x)
            for (std::size_t y = x + 1; y < doors.size(); ++y) {
                const auto from = endAt(ways, doors[x]);
                const auto end = endAt(ways, doors[y]);
                draw(ways.finder.narrowest(from, end), from, end, {}, main,
                     std::min(width(doors[x]), width(doors[y])));
            }
        return out;
    }
    const Doors starts = doorsOf(room, ways);
    for (const Goal& g :
         goalsOf(scene, ways, minor != nullptr ? minor->setting("lean over") : Length{})) {
        if (g.piece != to)
            continue;
        const auto best = bestWay(starts, ways, g, Length::metres(1000));
        draw(best.pinch, endAt(ways, best.door), g.end, g.opened, minor, width(best.door));
    }
    return out;
}

} // namespace mezzet
