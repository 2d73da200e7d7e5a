// Questions of how things stand to each other: centred, midway, opposite, which way they look.
#include "edit/beside_wall.h"
#include "measure/text.h"
#include "measure/texts.h"
#include "room/facts.h"
#include "scheme/on_wall.h"
#include "scheme/spoken.h"
#include "speech/asked_of.h"
#include "speech/questions.h"

#include <algorithm>
#include <cmath>
#include <numbers>

namespace mezzet {

namespace {

constexpr double visiblyOff = 0.5; // mm: less off the middle than one sees

/// The two that something is said to be between: "the windows", "the bed and window 2".
std::optional<std::pair<Target, Target>> twoAhead(Asking& a) {
    const Room& room = *a.job.room;
    const auto only = [&](OpeningKind kind) -> std::optional<std::pair<Target, Target>> {
        std::vector<Target> all;
        for (const Opening& o : room.openings)
            if (o.kind == kind)
                all.push_back(targetOf(o));
        return all.size() == 2 ? std::optional(std::pair(all[0], all[1])) : std::nullopt;
    };
    if (a.in.take({"the windows", "the two windows", "both windows", "windows"}))
        return only(OpeningKind::window);
    if (a.in.take({"the doors", "the two doors", "both doors", "doors"}))
        return only(OpeningKind::door);
    const Target one = a.in.target();
    if (!a.in.take({"and"}))
        return {};
    return std::pair(one, a.in.target());
}

/// "is the bed centred between the windows?": by the gaps on either side of it, along its wall or
/// the way from one to the other.
std::optional<Answer> isMidway(Asking& a, const Piece& p) {
    const auto two = twoAhead(a);
    a.end();
    if (!two)
        return {};
    const auto& [one, other] = *two;
    std::optional<std::pair<double, double>> gaps;
    const auto wall = wallOf(one, *a.scene);
    const auto mine = planMiddle(pieceTarget(p.id), *a.scene);
    if (wall && wallOf(other, *a.scene) == wall) {
        const Wall& w = a.job.room->walls[static_cast<std::size_t>(*wall)];
        const auto b = boxOn(one, *wall, *a.scene);
        const auto c = boxOn(other, *wall, *a.scene);
        if (!b || !c || !mine)
            return {};
        const double at = dot(*mine - w.start, w.along());
        gaps = b->low.x < c->low.x ? std::pair(at - b->high.x, c->low.x - at)
                                   : std::pair(b->low.x - at, at - c->high.x);
    } else {
        const auto b = planMiddle(one, *a.scene);
        const auto c = planMiddle(other, *a.scene);
        if (!b || !c || !mine || norm(*c - *b) < 1)
            return {};
        const Vec2 way = unit(*c - *b);
        gaps = std::pair(dot(*mine - *b, way), dot(*c - *mine, way));
    }
    const double off = (gaps->first - gaps->second) / 2; // toward the other
    Answer out;
    out.about = {p.id};
    const auto name = [&](const Target& t) { return spoken(t, a.wording()); };
    out.words = std::abs(off) < visiblyOff
                    ? worded("Yes: {} is midway between {} and {}", p.name, name(one), name(other))
                    : worded("No: {} is {} off the middle between {} and {}, toward {}", p.name,
                             lengthSaid(a, std::abs(off)), name(one), name(other),
                             name(off > 0 ? other : one));
    return out;
}

/// "is the mirror centred over the console?": along the wall of what hangs or is in it, else along
/// the front of what it is asked of; of a rug or the room, and of what hangs from the ceiling, both
/// ways.
std::optional<Answer> isCentred(Asking& a) {
    const std::size_t start = a.in.at();
    const auto another = [&] {
        a.in.goTo(start);
        return std::nullopt;
    };
    a.in.article();
    int id = 0;
    try {
        id = a.in.piece();
    } catch (const LineFault&) {
        return another();
    }
    if (id == 0 || !a.in.take({"centred", "centered", "in the middle of", "central", "centrally"}))
        return another();
    if (a.in.take({"between"}))
        return isMidway(a, *a.scene->pieceById(id));
    a.in.take({"in the middle of", "on", "over", "above", "under", "below", "in front of", "with",
               "to", "before", "in", "at"});
    if (const Piece* one = a.scene->pieceById(id); one->onWall())
        a.in.ownWall(one->wall());
    else if (one->on.isFloor())
        a.in.ownWall(wallBehind(*a.scene, id));
    // "is the bed centred?": on the wall it is at.
    const Piece& p = *a.scene->pieceById(id);
    const auto own = p.onWall()       ? std::optional(p.wall())
                     : p.on.isFloor() ? wallBehind(*a.scene, id)
                                      : std::nullopt;
    const bool alone = (a.in.done() || a.in.ahead() == "?") && !p.kind->flat();
    const int wallAt = own.value_or(-1);
    const Target of = alone && wallAt >= 0 ? wallTarget(wallAt) : a.in.target();
    a.end();
    const Piece* other = of.is == Target::Is::piece ? a.scene->pieceById(of.piece) : nullptr;
    const auto alongOf = [&](int wall) {
        return a.job.room->walls[static_cast<std::size_t>(wall)].along();
    };
    // To the right as one faces it: a wall, or what stands as it stands, wherever its back is.
    std::optional<Vec2> right;
    if (p.onWall())
        right = alongOf(p.wall());
    else if (const Placed* seat =
                 other != nullptr && !other->onWall() ? a.scene->fromAbove(other->id) : nullptr)
        right = seat->pose.right();
    else if (const auto wall = wallOf(of, *a.scene))
        right = alongOf(*wall);
    const auto mine = planMiddle(pieceTarget(id), *a.scene);
    const auto its = planMiddle(of, *a.scene);
    if (!mine || !its)
        return another();
    const Vec2 off = *mine - *its;
    Answer out;
    out.about = {id};
    const auto name = spoken(of, a.wording());
    const bool bothWays =
        !p.onWall() &&
        (of.is == Target::Is::room ||
         (other != nullptr && !other->onWall() && (other->kind->flat() || p.kind->underCeiling())));
    if (bothWays) {
        out.words = norm(off) < visiblyOff
                        ? worded("Yes: {} is in the middle of {}", p.name, name)
                        : worded("No: {} is {} off the middle of {}", p.name,
                                 writeGap(Length::millimetres(norm(off)), a.job.notation), name);
        return out;
    }
    if (!right)
        return another();
    const double by = dot(off, *right);
    const auto figure = writeGap(Length::millimetres(std::abs(by)), a.job.notation);
    out.words = std::abs(by) < visiblyOff ? worded("Yes: {} is centred on {}", p.name, name)
                : by > 0 ? worded("No: {} is {} right of the middle of {}", p.name, figure, name)
                         : worded("No: {} is {} left of the middle of {}", p.name, figure, name);
    return out;
}

/// "is the sofa opposite the fireplace?", "does the desk face the window?": whether it looks at
/// that, and how far off its middle.
std::optional<Answer> isOpposite(Asking& a) {
    a.in.article();
    if (!a.in.nameAhead())
        return {};
    const int id = a.in.piece();
    a.in.take({"directly", "right", "straight"});
    if (!a.in.take({"opposite", "across from", "facing", "face", "faces", "look at", "looking at",
                    "turned to", "turned toward", "turned towards"}))
        return {};
    const Target of = a.in.target();
    a.end();
    const Placed* there = a.scene->fromAbove(id);
    const auto its = planMiddle(of, *a.scene);
    const Piece& p = *a.scene->pieceById(id);
    if (there == nullptr || !its || !p.on.isFloor())
        return {};
    Answer out;
    out.about = {id};
    const auto name = spoken(of, a.wording());
    const Vec2 to = there->pose.toLocal(*its);
    const double off = std::atan2(to.x, to.y) * 180 / std::numbers::pi;
    // A whole wall is faced square.
    const bool square = of.is == Target::Is::wall;
    const double turned =
        square ? difference(
                     directionOf(there->pose.front()),
                     directionOf(-a.job.room->walls[static_cast<std::size_t>(of.index)].inward()))
                     .inDegrees()
               : off;
    constexpr double slight = 10; // degrees: one still looks at it
    if (std::abs(turned) > slight)
        out.words =
            worded("No: {} is turned {}° off {}", p.name, std::lround(std::abs(turned)), name);
    else if (square || std::abs(to.x) < 0.5)
        out.words = worded("Yes: {} looks straight at {}", p.name, name);
    else
        out.words = worded("Yes: {} looks at {}, {} off its middle", p.name, name,
                           writeGap(Length::millimetres(std::abs(to.x)), a.job.notation));
    return out;
}

/// "which way does the sofa face?": by the wall it looks at, and what it looks at there.
std::optional<Answer> whichWay(Asking& a) {
    a.in.take({"do", "does", "is", "are"});
    a.in.article();
    if (!a.in.nameAhead())
        return {};
    const int id = a.piece();
    if (!a.in.take({"face", "facing", "look", "looking", "point", "pointing", "turned"}))
        return {};
    a.end();
    const Piece& p = *a.scene->pieceById(id);
    const Placed* there = a.scene->fromAbove(id);
    if (there == nullptr || p.kind->flat())
        return {};
    Answer out;
    out.about = {id};
    if (const auto faced = wallFaced(*a.scene, id)) {
        out.words =
            worded("{} looks at {}, {} away", p.name, spoken(wallTarget(faced->wall), a.wording()),
                   lengthSaid(a, faced->away.mm()));
        return out;
    }
    // Aslant: between two walls, by how far it is turned from the one it looks at most.
    const auto& walls = a.job.room->walls;
    const auto most =
        std::max_element(walls.begin(), walls.end(), [&](const Wall& v, const Wall& w) {
            return dot(-v.inward(), there->pose.front()) < dot(-w.inward(), there->pose.front());
        });
    const double off =
        difference(directionOf(there->pose.front()), directionOf(-most->inward())).inDegrees();
    out.words = worded("{} looks toward {}, turned {}° off it", p.name,
                       spoken(wallTarget(static_cast<int>(most - walls.begin())), a.wording()),
                       std::lround(std::abs(off)));
    return out;
}

} // namespace

const std::vector<Question>& alignedQuestions() {
    static const std::vector<Question> all{
        {{"is", "are", "does", "do"},
         &isOpposite,
         "whether a piece looks at another, or at what is in a wall",
         "is sofa opposite fireplace?"},
        {{"is", "are"},
         &isCentred,
         "whether a piece is in the middle of another, an opening or a wall, and how far it is off",
         "is mirror centred over console?"},
        {{"which way", "which direction", "what direction", "where", "what"},
         &whichWay,
         "the wall a piece looks at, and how far off that is",
         "which way does sofa face?"},
    };
    return all;
}

} // namespace mezzet
