// Where along its wall a thing goes: "on the left side of wall A", "against wall A, on the right",
// "near the right end of wall A".
#include "edit/beside_wall.h"
#include "edit/line.h"
#include "fits/fits.h"
#include "geometry/stretches.h"
#include "hang/free_wall.h"
#include "judge/ahead.h"
#include "measure/text.h"
#include "speech/meant_words.h"

#include <fmt/format.h>

#include <algorithm>
#include <cmath>

namespace mezzet {

std::optional<Piece> putBy(const std::string& line, const Project& job) {
    const auto said = readLine(line, job);
    if (!said)
        return {};
    const Piece* only = nullptr;
    for (const Act& a : said->edit.acts)
        if (const auto* put = std::get_if<PutPiece>(&a)) {
            if (only != nullptr)
                return {};
            only = &put->piece;
        }
    return only != nullptr ? std::optional(*only) : std::nullopt;
}

std::optional<Piece> standsAt(const std::string& thing, const Wall& w, const Project& job) {
    auto p = putBy(fmt::format("{} against wall {}", thing, w.name), job);
    return p && !p->kind->hangs() && !p->kind->underCeiling() && !p->kind->flat() ? std::move(p)
                                                                                  : std::nullopt;
}

namespace {

/// The stretches of a wall that are free for a piece, mm along it. What hangs at eye level hangs
/// over what stands lower than its foot is then.
std::vector<Stretch> freeFor(const Piece& p, int wall, const Scene& scene, const Project& job) {
    if (!p.kind->hangs())
        return freeAlong(scene, wall, p.size.depth.mm(), p.size.height, p.id);
    const double foot = (eyeLevel(*job.library.book, job.judgement) - p.size.height / 2).mm();
    std::vector<Stretch> taken;
    for (const WallObstacle& o :
         obstaclesBut(faceOf(WallsView(scene), wall, Length::inches(1)), {p.id}))
        if (o.what.is != Target::Is::piece || o.box.high.y > foot)
            taken.emplace_back(o.box.low.x, o.box.high.x);
    return leftBy(std::move(taken),
                  scene.room->walls[static_cast<std::size_t>(wall)].length().mm());
}

/// Where the left edge of so wide a thing comes in the left or right half of a wall: in the middle
/// of the half, or at its end, or as near to that as there is room for it in that half. There,
/// taken or not, where there is none.
double leftEdge(const Piece& p, int wall, bool right, bool atEnd, const Scene& scene,
                const Project& job) {
    const double run = scene.room->walls[static_cast<std::size_t>(wall)].length().mm();
    const double wide = p.size.width.mm();
    const double aim =
        atEnd ? (right ? run - wide : 0)
              : std::clamp((right ? 0.75 : 0.25) * run - wide / 2, 0.0, std::max(0.0, run - wide));
    std::optional<double> best;
    for (const auto& [from, to] : freeFor(p, wall, scene, job)) {
        if (to - from < wide)
            continue;
        const double at = std::clamp(aim, from, to - wide);
        const double middle = at + wide / 2;
        if ((middle > run / 2) != right && std::abs(middle - run / 2) > 1)
            continue;
        if (!best || std::abs(at - aim) < std::abs(*best - aim))
            best = at;
    }
    return best.value_or(aim);
}

/// A thing in the left or the right half of a wall, standing there or hanging; empty for what is
/// neither.
std::string inTheHalf(const std::string& thing, int wall, bool right, bool atEnd,
                      const Scene& scene, const Project& job) {
    for (const char* place : {"against", "on"}) {
        auto there = fmt::format("{} {} wall {}", thing, place, wallName(wall));
        const auto p = putBy(there, job);
        if (!p || p->kind->underCeiling() || p->kind->flat())
            continue;
        const double left = leftEdge(*p, wall, right, atEnd, scene, job);
        return fmt::format("{}, {} from left corner", there,
                           write(Length::millimetres(left), job.notation));
    }
    return {};
}

/// "desk on the right side of wall A", "picture on wall A, on the left".
void ofAWall(const std::string& line, const Project& job, std::vector<std::string>& out) {
    if (!mentions(line, {"left", "right"}) || !mentions(line, {"wall"}))
        return;
    constexpr const char* begins =
        "(?:(?:put|place|add|set|stand|hang|move|push|slide|shift|bring|have|mount|fit) )?(.+?),? ";
    static const auto sideFirst = meaning(
        (std::string(begins) +
         "(?:on|at|in|to|against|along|toward|towards|into|near|by|over) (?:the )?(?:far "
         ")?(left|right)(?:[- ]hand)? "
         "(?:(side|end|half|part|third|bit|section|stretch|portion|quarter|edge) of |of |on |"
         "along |against )(?:the )?(wall [a-z]|[a-z ]*?wall)(,.*)?")
            .c_str());
    static const auto wallFirst = meaning(
        (std::string(begins) +
         "(?:on|against|along|at) (?:the )?(wall [a-z]|[a-z ]*?wall),? (?:more |over |off |a bit )?"
         "(?:on|to|toward|towards|at|near|in|by)(?: the)? (left|right)(?:[- ]hand)?(?: "
         "(side|end|half|part|third|bit|section|stretch|portion|quarter|edge|corner))?(,.*)?")
            .c_str());
    std::smatch found;
    const bool first = std::regex_match(line, found, sideFirst);
    if (!first && !std::regex_match(line, found, wallFirst))
        return;
    const auto said = [&](int ofFirst, int ofSecond) {
        return foldCase(found[static_cast<std::size_t>(first ? ofFirst : ofSecond)].str());
    };
    const auto wall = targetNamed(said(4, 2), job, false);
    const auto scene = sceneOf(job);
    if (!wall || wall->is != Target::Is::wall || !scene)
        return;
    const std::string thing = found[1];
    // "three pictures on the right half of wall A": a row about the middle of that half.
    static const auto several =
        meaning("(?:an? (?:pair|row|group) of|two|three|four|five|six|[2-9]) .+");
    if (std::regex_match(thing, several)) {
        const auto& w = job.room->walls[static_cast<std::size_t>(wall->index)];
        out.push_back(fmt::format("{0} on wall {1}, centred on wall {1}, {2} {3}{4}", thing, w.name,
                                  write(w.length() / 4, job.notation), said(2, 3), found[5].str()));
        return;
    }
    const auto part = said(3, 4);
    const bool atEnd = part == "end" || part == "edge" || part == "corner";
    if (const auto there =
            inTheHalf(thing, wall->index, said(2, 3) == "right", atEnd, **scene, job);
        !there.empty())
        out.push_back(there + found[5].str());
}

/// "hooks on wall B next to the front door", which is in another wall: at the end that is nearer.
void nearTheEnd(const std::string& line, const Project& job, std::vector<std::string>& out) {
    static const Saying words(
        "(?:(?:put|place|add|set|stand|hang|move|push|slide|have|mount|fit) )?(.+?),? "
        "(?:on|against|"
        "along|at) (?:the )?(wall [a-z]|[a-z ]*?wall),? (?:next to|beside|near|close "
        "to|by|at|nearest|"
        "toward|towards|just inside) (?:to )?(?:the |my )?([^,]+?)(,.*)?");
    std::smatch found;
    if (!words.is(line, found))
        return;
    const auto wall = targetNamed(found[2], job, false);
    const auto by = targetNamed(found[3], job, false);
    const auto scene = sceneOf(job);
    if (!wall || wall->is != Target::Is::wall || !by || !scene ||
        wallIn(*by, *job.room) == wall->index || !wallIn(*by, *job.room) ||
        by->is == Target::Is::wall)
        return;
    const Wall& w = job.room->walls[static_cast<std::size_t>(wall->index)];
    const Vec2 at = middleOf(*by, **scene);
    const bool right = norm(at - w.end) < norm(at - w.start);
    if (const auto there = inTheHalf(found[1], wall->index, right, true, **scene, job);
        !there.empty())
        out.push_back(there + found[4].str());
}

/// How far behind its wall's face the back of so wide a thing comes in the middle of an alcove, a
/// bay or a bow; all the way where it is wider than that, so that it is asked about.
double backIn(const Recess& r, double wide) {
    const double half = wide / 2;
    const double mouth = r.width.mm() / 2;
    const double deep = r.depth.mm();
    if (half > mouth)
        return deep;
    if (r.kind == RecessKind::bay) {
        const double face = r.face.mm() / 2;
        return half <= face ? deep : deep * (mouth - half) / (mouth - face);
    }
    if (r.kind == RecessKind::bow) {
        const double radius = (mouth * mouth + deep * deep) / (2 * deep);
        return std::sqrt(radius * radius - half * half) - (radius - deep);
    }
    return deep;
}

/// "wardrobe in the alcove", "two armchairs in the bay": its back to the back of that, where the
/// tape notes have one.
void inARecess(const std::string& line, const Project& job, std::vector<std::string>& out) {
    if (job.room->recesses.empty() ||
        !mentions(line, {"alcove", "niche", "recess", "nook", "bay", "bow"}))
        return;
    static const Saying words(
        "(?:(?:put|place|add|set|stand|move|push|slide|have|fit) )?(.+?),? "
        "(?:in|into|inside|within|"
        "at the back of) (?:the |an? |my )?(?:(left|right)(?:[- ]hand)? "
        ")?(alcove|niche|recess|nook|"
        "bay|bay window|bow|bow window|window bay)(?: (?:on|in|of) (?:the )?(wall [a-z]))?(,.*)?");
    std::smatch found;
    if (!words.is(line, found))
        return;
    const auto said = foldCase(found[3].str());
    const RecessKind kind = said.find("bay") != std::string::npos   ? RecessKind::bay
                            : said.find("bow") != std::string::npos ? RecessKind::bow
                                                                    : RecessKind::alcove;
    const auto wall = found[4].matched ? targetNamed(found[4], job, false) : std::nullopt;
    std::vector<const Recess*> all;
    for (const Recess& r : job.room->recesses)
        if (r.kind == kind && (!wall || wall->index == r.wall))
            all.push_back(&r);
    const bool alike = std::all_of(all.begin(), all.end(),
                                   [&](const Recess* r) { return r->wall == all.front()->wall; });
    if (all.size() > 1 && found[2].matched && alike) {
        std::sort(all.begin(), all.end(),
                  [](const Recess* a, const Recess* b) { return a->left < b->left; });
        all = {foldCase(found[2].str()) == "left" ? all.front() : all.back()};
    }
    if (all.size() != 1)
        return;
    const Recess& r = *all.front();
    const Wall& w = job.room->walls[static_cast<std::size_t>(r.wall)];
    const std::string thing = found[1];
    const auto p = standsAt(thing, w, job);
    if (!p)
        return;
    const double off = p->size.depth.mm() / 2 - backIn(r, p->size.width.mm());
    const Vec2 at = w.at(r.left + r.width / 2) + w.inward() * off;
    out.push_back(fmt::format("{} at {}, {}, turned {:.1f}{}", thing,
                              write(Length::millimetres(at.x), job.notation),
                              write(Length::millimetres(at.y), job.notation),
                              turnToFace(w.inward()).inDegrees(), found[5].str()));
}

/// Of two sides of a piece the one with more room, the first where they are alike.
Side roomierOf(const Stands& of, Side one, Side other) {
    const FloorView floor(*of.scene);
    const auto first = aheadOf(floor, *of.piece, *of.there, one).stop;
    const auto second = aheadOf(floor, *of.piece, *of.there, other).stop;
    return first && (!second || first->ahead < second->ahead) ? other : one;
}

/// "three stools along one side of the island": the long side with more room before it.
void alongALongSide(const std::string& line, const Project& job, std::vector<std::string>& out) {
    static const Saying words("((?:put|place|add|set|stand|move|have|line up) )?(.+?),? "
                              "(?:on|along|at|to|down|by) (?:the |"
                              "one |a )?(?:long )?side of (?:the |my )?(.+?)(,.*)?");
    std::smatch found;
    if (!words.is(line, found))
        return;
    const auto of = standsNamed(found[3], job);
    if (!of || of.piece->kind->isSeat())
        return;
    const bool back = roomierOf(of, Side::front, Side::behind) == Side::behind;
    out.push_back(fmt::format("{}{} {} {}{}", found[1].str(), found[2].str(),
                              back ? "behind" : "in front of", of.piece->name, found[4].str()));
}

/// "nightstand on the open side of the bed": the left or the right of it, where there is more room.
void onTheOpenSide(const std::string& line, const Project& job, std::vector<std::string>& out) {
    static const Saying words(
        "(.+?),? (?:on|at|to|along) the (?:open|free|empty|accessible|outer|room) side of "
        "(?:the |my "
        ")?(.+?)(,.*)?");
    std::smatch found;
    if (!words.is(line, found))
        return;
    const auto of = standsNamed(found[2], job);
    if (!of)
        return;
    const bool isRight = roomierOf(of, Side::left, Side::right) == Side::right;
    out.push_back(fmt::format("{} {} of {}{}", found[1].str(), isRight ? "right" : "left",
                              of.piece->name, found[3].str()));
}

/// "bed against wall B, 20 to the left": of what is at that wall, a step; of what is not, so far
/// from its middle.
void atAWallAside(const std::string& line, const Project& job, std::vector<std::string>& out) {
    static const Saying words(
        "(?:(?:put|place|move|set|stand|hang|add|push|slide) )?(.+?),? (?:on|"
        "against|along|at) (?:the )?(wall [a-z]),? (?:but |and )?([0-9][^,]*?)"
        "(?: more| further| over)? (?:to the )?(left|right)");
    std::smatch found;
    if (!words.is(line, found))
        return;
    const auto wall = targetNamed(found[2], job, false);
    const auto scene = sceneOf(job);
    if (!wall || wall->is != Target::Is::wall || !scene)
        return;
    const Piece* p = pieceNamed(found[1], job);
    if (p != nullptr && isAtWall(*p, wall->index, **scene))
        out.push_back(
            fmt::format("move {} {} {}", p->name, found[3].str(), foldCase(found[4].str())));
    else
        out.push_back(fmt::format("{0} on wall {1}, centred on wall {1}, {2} {3}", found[1].str(),
                                  wallName(wall->index), found[3].str(), foldCase(found[4].str())));
}

/// "dresser on the other side of the window": of what stands at its wall, beside it.
void otherSideOfAnOpening(const std::string& line, const Project& job,
                          std::vector<std::string>& out) {
    if (!mentions(line, {"other side", "opposite side"}))
        return;
    static const Saying words("(?:(?:put|move|place|set|shift|slide|stand) )?(.+?) "
                              "(?:on|to|at) the (?:other|opposite|far) side "
                              "of (?:the |my )?(.+)");
    std::smatch found;
    if (!words.is(line, found))
        return;
    const auto it = standsNamed(found[1], job);
    const auto of = targetNamed(found[2], job, false);
    const auto wall = of ? wallIn(*of, *job.room) : std::nullopt;
    if (!it || !wall || of->is == Target::Is::wall || wallBehind(*it.scene, it.piece->id) != wall)
        return;
    const Wall& w = job.room->walls[static_cast<std::size_t>(*wall)];
    const double off = dot(middleOf(*of, *it.scene) - it.there->pose.at, w.along());
    out.push_back(
        fmt::format("{} {} of {}", it.piece->name, off > 0 ? "right" : "left", found[2].str()));
}

/// "centre the mirror between the mantel and the ceiling", "picture halfway between the sofa and
/// the ceiling": over that, as far from its top as from the ceiling there.
void underTheCeiling(const std::string& line, const Project& job, std::vector<std::string>& out) {
    static const Saying words(
        "(?:(?:cent(?:er|re)|hang|put|place|move|set|mount|add) )?(.+?),? (?:(?:half ?way|midway|"
        "cent(?:er|re)d|in the middle|evenly) )?(?:in )?between (?:the )?(?:top of (?:the "
        ")?)?(.+?) "
        "and (?:the )?ceiling");
    std::smatch found;
    const auto scene = sceneOf(job);
    if (!scene || !words.is(line, found))
        return;
    auto over = foldCase(found[2].str());
    if (over == "mantel" || over == "mantelpiece" || over == "mantle")
        over = "fireplace";
    const auto t = targetNamed(over, job);
    const auto wall = t ? wallOf(*t, **scene) : std::nullopt;
    const auto box = wall ? boxOn(*t, *wall, **scene) : std::nullopt;
    if (!box)
        return;
    const auto& w = job.room->walls[static_cast<std::size_t>(*wall)];
    const Length ceiling = job.room->ceilingAt(w.at(Length::millimetres(box->centre().x)));
    const auto height = write(Length::millimetres((box->high.y + ceiling.mm()) / 2), job.notation);
    // One that is there, or a new one.
    if (const Piece* p = pieceNamed(found[1], job); p != nullptr && p->kind->hangs())
        out.push_back(
            fmt::format("{0} over {1}, centred on {1}, centre at {2}", p->name, over, height));
    else if (p == nullptr)
        out.push_back(fmt::format("{0} on wall {3}, centred on {1}, centre at {2}", found[1].str(),
                                  over, height, w.name));
}

/// "move the lamp to the right nightstand", "lamp on the other nightstand": on that; the other of
/// two is the one that nothing stands on.
void ontoATop(const std::string& line, const Project& job, std::vector<std::string>& out) {
    if (!mentions(line, {"move", "put", "shift", "other"}))
        return;
    static const auto moved =
        meaning("(?:move|shift|put|take|bring) (.+?) (?:over )?(?:to|onto) (.+)");
    static const auto other = meaning("(.+?) on the other ([a-z -]+)");
    std::smatch found;
    if (std::regex_match(line, found, moved)) {
        const Piece* what = pieceNamed(found[1], job);
        const Piece* on = pieceNamed(found[2], job);
        if (what != nullptr && on != nullptr && what->kind->standsOn() && on->kind->hasTop())
            out.push_back(fmt::format("{} on {}", what->name, on->name));
        return;
    }
    if (!std::regex_match(line, found, other))
        return;
    const auto carries = [&](const Piece* p) {
        const auto& all = job.scheme().pieces;
        return std::any_of(all.begin(), all.end(),
                           [&](const Piece& o) { return o.on.isCarried() && o.on.piece == p->id; });
    };
    const auto both = piecesNamed("the " + found[2].str() + "s", job);
    if (both.size() == 2 && carries(both[0]) != carries(both[1]))
        out.push_back(
            fmt::format("{} on {}", found[1].str(), both[carries(both[0]) ? 1 : 0]->name));
}

} // namespace

std::vector<Meaning> meaningsOfWalls() {
    return {ofAWall,       atAWallAside,         nearTheEnd,      alongALongSide,
            onTheOpenSide, otherSideOfAnOpening, underTheCeiling, ontoATop};
}

std::vector<Meaning> meaningsOfRecesses() {
    return {inARecess};
}

} // namespace mezzet
