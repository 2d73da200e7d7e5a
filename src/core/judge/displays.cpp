// What leans against a wall, one before the other: layered, display-depth, display-low.
#include "edit/line.h"
#include "hang/display.h"
#include "judge/rule_code.h"
#include "measure/text.h"
#include "measure/texts.h"
#include "things/covered.h"

#include <algorithm>

#include <fmt/format.h>

namespace mezzet {

namespace {

double leanOf(const JudgeContext& c) {
    const Rule* r = c.book.byId("display-depth");
    return r != nullptr ? r->number("lean") : usualLean;
}

/// Who looks at a place of a wall: standing before it, and from the seat that faces it, else seated
/// there; along the wall, up, and out from it, mm.
std::vector<std::pair<Vec3, int>> eyesBefore(const WallContext& c, int wall, double along) {
    const Wall& w = c.scene.room->walls[static_cast<std::size_t>(wall)];
    const auto setting = [&](std::string_view name) {
        return c.shared.setting("leaned-art", name).mm();
    };
    Vec3 seated{along, setting("seated"), setting("away")};
    int seat = 0;
    double nearest = 6000;
    const FloorView& floor = c.scene.floor;
    for (std::size_t i = 0; i < floor.placed.size(); ++i) {
        if (!floor.piece(i).kind->isSeat())
            continue;
        const Pose& pose = floor.placed[i].pose;
        const Vec2 to = w.at(Length::millimetres(along)) - pose.at;
        const double away = norm(to);
        if (away < 1 || away >= nearest || dot(to / away, pose.front()) < 0.7)
            continue;
        nearest = away;
        seat = floor.placed[i].id;
        seated = {dot(pose.at - w.start, w.along()), setting("seated"),
                  dot(pose.at - w.start, w.inward())};
    }
    return {{Vec3{along, setting("standing"), setting("away")}, 0}, {seated, seat}};
}

void eachWall(const WallContext& c, const std::function<void(int, std::vector<Leaning>)>& call) {
    for (int wall = 0; wall < static_cast<int>(c.scene.room->walls.size()); ++wall)
        if (auto all = leaningOn(c.scene, wall, leanOf(c)); !all.empty())
            call(wall, std::move(all));
}

void judgeLayered(const WallContext& c) {
    eachWall(c, [&](int wall, const std::vector<Leaning>& all) {
        for (std::size_t i = 0; i < all.size(); ++i) {
            const std::vector<Leaning> before(all.begin() + static_cast<std::ptrdiff_t>(i) + 1,
                                              all.end());
            double most = 0;
            int seat = 0;
            for (const auto& [eye, from] : eyesBefore(c, wall, all[i].box.centre().x))
                if (const double share = hiddenShare(all[i], before, eye); share > most) {
                    most = share;
                    seat = from;
                }
            if (most <= 0)
                continue;
            // What hides most of it straight on is named.
            const Leaning* front = nullptr;
            double hides = 0;
            for (const Leaning& b : before) {
                const double wide = std::min(b.box.high.x, all[i].box.high.x) -
                                    std::max(b.box.low.x, all[i].box.low.x);
                const double high = std::min(b.box.high.y, all[i].box.high.y) -
                                    std::max(b.box.low.y, all[i].box.low.y);
                if (wide > 0 && high > 0 && wide * high > hides) {
                    hides = wide * high;
                    front = &b;
                }
            }
            if (front == nullptr)
                continue;
            Reading& r = c.addOnWall(wall, all[i].id, pieceTarget(front->id), Amount::ratio(most),
                                     c.band, all[i].box.low, all[i].box.high);
            if (r.verdict == Verdict::right && seat != 0)
                r.instead = "seated";
        }
    });
}

void judgeDepth(const WallContext& c) {
    eachWall(c, [&](int wall, const std::vector<Leaning>& all) {
        for (const Leaning& l : all)
            if (l.board)
                c.addOnWall(wall, l.id, pieceTarget(l.onto),
                            Amount::of(Length::millimetres(*l.board - l.foot)), c.band, l.box.low,
                            {l.box.high.x, l.box.low.y});
    });
}

void judgeLow(const WallContext& c) {
    eachWall(c, [&](int wall, const std::vector<Leaning>& all) {
        for (std::size_t i = 0; i < all.size(); ++i) {
            // The next behind it that it overlaps, from where both stand.
            for (std::size_t k = i; k-- > 0;) {
                const Leaning& behind = all[k];
                const Leaning& front = all[i];
                if (behind.onto != front.onto || front.box.low.x >= behind.box.high.x ||
                    front.box.high.x <= behind.box.low.x)
                    continue;
                const double foot = std::min(behind.box.low.y, front.box.low.y);
                c.addOnWall(wall, front.id, pieceTarget(behind.id),
                            Amount::ratio((front.box.high.y - foot) /
                                          std::max(behind.box.high.y - foot, 1.0)),
                            c.band, {front.box.centre().x, front.box.high.y},
                            {front.box.centre().x, behind.box.high.y});
                break;
            }
        }
    });
}

/// What hangs on a wall that may not be drilled.
void judgeHoles(const WallContext& c) {
    const auto& walls = c.scene.scheme->dressing.noHoles;
    if (walls.empty())
        return;
    for (std::size_t i = 0; i < c.scene.hung.size(); ++i) {
        const Piece& p = c.scene.hungPiece(i);
        if (p.isGroup() || p.hanging.mount == Mount::leaned || p.kind->role == Role::curtain ||
            std::find(walls.begin(), walls.end(), p.wall()) == walls.end())
            continue;
        const Box b = bounds(c.scene.hung[i].shape);
        c.addOnWall(p.wall(), p.id, wallTarget(p.wall()), Amount{Quantity::count, 1}, c.band, b.low,
                    b.high);
    }
}

/// Leaned on what stands before the wall there, the highest first; else on the floor.
std::vector<Handle> leanHandles(const Reading& r, double, const Project& job, const Scene& scene) {
    const Piece& p = *job.scheme().byId(r.piece);
    const auto own = boxOn(pieceTarget(r.piece), p.wall(), scene);
    std::vector<std::pair<double, std::string>> onto;
    const FloorView floor(scene);
    for (const Standing& s : standingBefore(floor, p.wall())) {
        const Piece& q = floor.piece(s.index);
        if (own && q.kind->hasTop() && s.left < own->high.x && s.right > own->low.x)
            onto.emplace_back(q.top().mm(), q.name);
    }
    std::sort(onto.rbegin(), onto.rend());
    onto.emplace_back(0, "floor");
    std::vector<Handle> out;
    for (const auto& [high, name] : onto) {
        auto line = fmt::format("{} leaned on {}", p.name, name);
        const auto said = readLine(line, job);
        out.push_back(
            doing(std::move(line), said ? Result<Edit>(said->edit) : Result<Edit>(said.problem())));
    }
    return out;
}

/// The cushions on a seat, by where they lie along it.
std::vector<std::pair<double, int>> cushionsOn(const Scene& scene, int seat) {
    std::vector<std::pair<double, int>> out;
    constexpr double lowest = 50; // mm: what is flatter is a throw
    for (const Piece& p : scene.scheme->pieces)
        if (p.on == onTop(seat) && p.kind->isSoft() && p.size.height.mm() > lowest)
            if (const Placed* at = scene.byId(p.id))
                out.emplace_back(at->pose.at.x, p.id);
    std::sort(out.begin(), out.end());
    return out;
}

void judgeCushions(const DressContext& c) {
    const Scene& scene = c.scene;
    for (const Piece& seat : scene.scheme->pieces) {
        const Placed* where = seat.kind->isSeat() ? scene.byId(seat.id) : nullptr;
        if (where == nullptr)
            continue;
        const auto all = cushionsOn(scene, seat.id);
        if (all.empty())
            continue;
        // One to a place, and one more where there are several.
        const double place = c.rule.setting("place").mm();
        const double places = std::max(1.0, std::floor(seat.size.width.mm() / place));
        Band band;
        band.high = places > 1 ? places : 1;
        const Vec2 at = where->pose.at;
        Reading& r = c.add(seat.id, {}, Amount{Quantity::count, static_cast<double>(all.size())},
                           band, at, at);
        r.surface = onTop(seat.id);
        const auto left =
            std::count_if(all.begin(), all.end(), [](const auto& one) { return one.first < 0; });
        const auto right = static_cast<std::ptrdiff_t>(all.size()) - left;
        if (r.verdict == Verdict::right && all.size() == 3 && left > 0 && right > 0)
            r.instead = "two and one";
    }
}

/// One of them taken away, from where most lie.
std::vector<Handle> fewerHandles(const Reading& r, double, const Project& job, const Scene& scene) {
    std::vector<Handle> out;
    auto all = cushionsOn(scene, r.piece);
    const auto extra = static_cast<std::size_t>(
        std::max(0.0, r.value.value - r.band.high.value_or(r.value.value)));
    if (extra == 0 || all.size() < extra)
        return out;
    // Those in the middle, where one sits.
    std::sort(all.begin(), all.end(),
              [](const auto& a, const auto& b) { return std::abs(a.first) < std::abs(b.first); });
    std::vector<std::string> names;
    for (std::size_t i = 0; i < extra; ++i)
        names.push_back(job.scheme().byId(all[i].second)->name);
    auto line = fmt::format("remove {}", fmt::join(names, ", "));
    const auto said = readLine(line, job);
    out.push_back(
        doing(std::move(line), said ? Result<Edit>(said->edit) : Result<Edit>(said.problem())));
    return out;
}

std::vector<Handle> asideHandles(const Reading& r, double, const Project& job, const Scene& scene) {
    std::vector<Handle> out;
    if (r.other.is != Target::Is::piece)
        return out;
    const auto behind = boxOn(pieceTarget(r.piece), job.scheme().byId(r.piece)->wall(), scene);
    const auto front = boxOn(r.other, job.scheme().byId(r.piece)->wall(), scene);
    if (!behind || !front)
        return out;
    // To the side it is on already, then to the other; as far as leaves a quarter hidden.
    const double keeps = standsOver(*behind, front->size().x, front->size().y);
    const double right = behind->high.x - keeps - front->low.x;
    const double left = front->high.x - (behind->low.x + keeps);
    const bool toRight = front->centre().x >= behind->centre().x;
    out.push_back(moveRight(job, scene, r.other.piece, toRight ? right : -left));
    out.push_back(moveRight(job, scene, r.other.piece, toRight ? -left : right));
    for (Handle& h : out)
        h.slope = -1 / std::max(behind->size().x, 1.0);
    return out;
}

/// On a riser: its foot so much over what it stands on.
std::vector<Handle> riserHandles(const Reading& r, double target, const Project& job,
                                 const Scene& scene) {
    const Piece& p = *job.scheme().byId(r.piece);
    const auto own = boxOn(pieceTarget(r.piece), p.wall(), scene);
    const auto behind =
        r.other.is == Target::Is::piece ? boxOn(r.other, p.wall(), scene) : std::nullopt;
    if (!own || !behind || r.verdict != Verdict::tight)
        return {};
    for (const Tie& t : p.ties)
        if (t.kind == Tie::Kind::above) {
            const double high = behind->high.y - std::min(behind->low.y, own->low.y);
            auto h =
                tieAt(job, scene, r.piece, t, t.distance.mm() + (target - r.value.value) * high);
            h.slope = 1 / std::max(high, 1.0);
            return {h};
        }
    return {};
}

constexpr std::array<RuleCode, 5> displayCodes{{{"layered", judgeLayered, asideHandles},
                                                {"cushions", judgeCushions, fewerHandles},
                                                {"no-holes", judgeHoles, leanHandles, true},
                                                {"display-depth", judgeDepth, noHandles},
                                                {"display-low", judgeLow, riserHandles}}};

} // namespace

std::span<const RuleCode> displayRules() {
    return displayCodes;
}

} // namespace mezzet
