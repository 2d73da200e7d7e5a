// Turns and steps told by what is there: a bit toward a thing, toward the foot of a bed.
#include "edit/beside_wall.h"
#include "measure/text.h"
#include "scheme/resolve.h"
#include "speech/meant_words.h"

#include <fmt/format.h>

#include <algorithm>
#include <cmath>

namespace mezzet {

namespace {

/// The wall one comes to going that way from the middle of the room; none where it goes aslant.
const Wall* wallAhead(Vec2 way, const Project& job) {
    const auto& walls = job.room->walls;
    const auto ahead =
        std::min_element(walls.begin(), walls.end(), [&](const Wall& a, const Wall& b) {
            return dot(a.inward(), way) < dot(b.inward(), way);
        });
    constexpr double square = -0.98;
    return ahead != walls.end() && dot(ahead->inward(), way) < square ? &*ahead : nullptr;
}

/// "turn the armchair a bit towards the sofa": by a little, the way that is nearer to facing it.
void aBitToward(const std::string& line, const Project& job, std::vector<std::string>& out) {
    static const Saying words("(?:turn|angle|rotate|swivel|twist|swing) (.+?) "
                              "(?:a (?:bit|little|little bit|touch|tad)|slightly|some)(?: more)?,? "
                              "(?:to|toward|towards|to face|at|in toward|in towards|in to) (.+)");
    std::smatch found;
    if (!words.is(line, found))
        return;
    const auto of = standsNamed(found[1], job);
    const auto to = of ? targetNamed(found[2], job) : std::nullopt;
    const Vec2 way = to ? middleOf(*to, *of.scene) - of.there->pose.at : Vec2{};
    if (norm(way) < 1)
        return;
    const double off = difference(turnToFace(way), of.there->pose.turn).inDegrees();
    constexpr double little = 15; // as “turn it a little” has it
    if (std::abs(off) <= little)
        out.push_back(fmt::format("turn {} to face {}", of.piece->name, found[2].str()));
    else
        out.push_back(
            fmt::format("turn {} a little {}", of.piece->name, off > 0 ? "right" : "left"));
}

/// "slide the rug 40 toward the foot": of the bed, which is the only one: the way it looks.
void towardTheFoot(const std::string& line, const Project& job, std::vector<std::string>& out) {
    static const Saying words(
        "(?:slide|move|push|pull|shift|nudge|bring) (.+?)((?: by)? [0-9].*?| a (?:bit|little|touch)"
        ")? (?:to|toward|towards|down to|down toward|down towards) the (foot|head)(?: of "
        "(?:the|my) "
        "bed)?");
    std::smatch found;
    if (!words.is(line, found))
        return;
    const Piece* moved = pieceNamed(found[1], job);
    const auto bed = standsNamed("the bed", job);
    if (moved == nullptr || !bed || moved->id == bed.piece->id)
        return;
    const Vec2 front = bed.there->pose.front();
    const Vec2 way = foldCase(found[3].str()) == "foot" ? front : -front;
    const Wall* ahead = wallAhead(way, job);
    if (ahead == nullptr)
        return;
    out.push_back(
        fmt::format("move {}{} toward wall {}", moved->name, found[2].str(), ahead->name));
}

/// "sofa parallel with the fireplace", "table lengthwise": of what is there, turned the shorter
/// way.
void alongside(const std::string& line, const Project& job, std::vector<std::string>& out) {
    if (!mentions(line, {"parallel", "perpendicular", "right angles", "lengthwise", "lengthways"}))
        return;
    static const Saying words(
        "(?:(?:turn|put|make|set|place|have|keep|rotate|swing) )?(.+?)(?: is| "
        "so it is| to be)? (?:(parallel|perpendicular|at right angles) "
        "(?:to|with) (.+)|lengthwise|lengthways)");
    std::smatch found;
    if (!words.is(line, found))
        return;
    const auto of = standsNamed(found[1], job);
    if (!of)
        return;
    // Along the room where nothing else is said: as its longest wall goes.
    const auto& walls = job.room->walls;
    const auto longest =
        std::max_element(walls.begin(), walls.end(),
                         [](const Wall& a, const Wall& b) { return a.length() < b.length(); });
    const bool longWays = !found[2].matched;
    const auto to = longWays ? std::optional(wallTarget(static_cast<int>(longest - walls.begin())))
                             : targetNamed(found[3], job);
    if (!to)
        return;
    const Placed* other = to->is == Target::Is::piece ? of.scene->inPlan(to->piece) : nullptr;
    const auto wall = other == nullptr ? wallOf(*to, *of.scene) : std::nullopt;
    if (other == nullptr && !wall)
        return;
    Angle wanted = other != nullptr ? other->pose.turn
                                    : turnToFace(walls[static_cast<std::size_t>(*wall)].inward());
    const bool across = (!longWays && foldCase(found[2].str()) != "parallel") ||
                        (longWays && of.piece->size.depth > of.piece->size.width);
    if (across)
        wanted = wanted + Angle::degrees(90);
    // Either end first is as parallel.
    constexpr double halfTurn = 180;
    const double by = std::remainder(difference(wanted, of.there->pose.turn).inDegrees(), halfTurn);
    out.push_back(fmt::format("turn {} {:.9g}", of.piece->name, std::abs(by) < 0.01 ? 0.0 : by));
}

/// "screen between the sofa and the bed": one that folds, and no television.
void screenBetween(const std::string& line, const Project&, std::vector<std::string>& out) {
    if (!mentions(line, {"screen"}))
        return;
    static const auto words = meaning(
        "^((?:put |place |add |stand |have |set )?(?:an? |the )?)screen between (.+ and .+)$");
    std::smatch found;
    if (std::regex_match(line, found, words))
        out.push_back(found[1].str() + "folding screen between " + found[2].str());
}

/// "centre the table on the windows": along their wall, as far as it stands off it.
void centredOnOpenings(const std::string& line, const Project& job, std::vector<std::string>& out) {
    if (!mentions(line, {"windows", "doors"}))
        return;
    static const Saying words("(?:(?:centre|center|line up|align|move|put|slide) )?(.+?) (?:so it "
                              "is )?(?:(?:centred|centered|"
                              "central) )?(?:on|with|between|to) (?:the |both |the two |both the "
                              "|the middle of the )+(windows|"
                              "doors)");
    std::smatch found;
    if (!mentions(line, {"cent", "line up", "align"}) || !words.is(line, found))
        return;
    // "console centred between the windows" is a new one.
    static const auto ofOneThere =
        meaning("(?:centre|center|line up|align|move|put|slide) .*|(?:the|my|it|this) .*");
    if (!std::regex_match(line, ofOneThere))
        return;
    const auto of = standsNamed(found[1], job);
    if (!of)
        return;
    const bool windows = foldCase(found[2].str()) == "windows";
    std::optional<int> wall;
    double low = 1e300;
    double high = -1e300;
    for (const Opening& o : job.room->openings) {
        if (o.kind != (windows ? OpeningKind::window : OpeningKind::door))
            continue;
        if (wall && *wall != o.wall)
            return; // which of them is asked
        wall = o.wall;
        low = std::min(low, o.left.mm());
        high = std::max(high, (o.left + o.width).mm());
    }
    // At that wall itself it stands between them; at one aslant to it, it goes on standing there.
    if (!wall)
        return;
    const Wall& w = job.room->walls[static_cast<std::size_t>(*wall)];
    for (std::size_t i = 0; i < job.room->walls.size(); ++i)
        if (isAtWall(*of.piece, static_cast<int>(i), *of.scene) &&
            (static_cast<int>(i) == *wall ||
             std::abs(dot(job.room->walls[i].along(), w.along())) < 0.98))
            return;
    const double by = (low + high) / 2 - dot(of.there->pose.at - w.start, w.along());
    const Wall* toward = wallAhead(by < 0 ? -w.along() : w.along(), job);
    constexpr double least = 0.5; // mm: it is there
    if (toward != nullptr && std::abs(by) > least)
        out.push_back(fmt::format("move {} {:.4f} mm toward wall {}", of.piece->name, std::abs(by),
                                  toward->name));
    else if (toward != nullptr)
        out.push_back(fmt::format("turn {} 0", of.piece->name));
}

/// "put the sofa on the other side of the room": with its back to the wall across.
void acrossTheRoom(const std::string& line, const Project& job, std::vector<std::string>& out) {
    if (!mentions(line, {"side of the room", "end of the room"}))
        return;
    static const Saying words("(?:(?:move|put|place|shift|push|slide|take|set) )?(.+?) (?:over "
                              ")?(?:to|on|at|against) the "
                              "(?:other|opposite|far) (?:side|end) of the room");
    std::smatch found;
    if (!words.is(line, found))
        return;
    const auto of = standsNamed(found[1], job);
    if (!of || of.piece->kind->flat())
        return;
    // Where it looks is where it goes, unless its back is at a wall already.
    std::optional<int> from;
    for (std::size_t i = 0; i < job.room->walls.size() && !from; ++i)
        if (isAtWall(*of.piece, static_cast<int>(i), *of.scene))
            from = static_cast<int>(i);
    if (!from)
        if (const Wall* behind = wallAhead(-of.there->pose.front(), job))
            from = static_cast<int>(behind - job.room->walls.data());
    if (const auto across = from ? wallAcross(*job.room, *from) : std::nullopt)
        out.push_back(fmt::format("{} against wall {}", of.piece->name,
                                  job.room->walls[static_cast<std::size_t>(*across)].name));
}

} // namespace

std::vector<Meaning> meaningsOfTurns() {
    return {aBitToward, towardTheFoot};
}

std::vector<Meaning> meaningsOfTurnsFirst() {
    return {screenBetween, alongside, centredOnOpenings, acrossTheRoom};
}

} // namespace mezzet
