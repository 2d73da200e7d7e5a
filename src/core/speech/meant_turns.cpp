// Turns and steps told by what is there: a bit toward a thing, toward the foot of a bed.
#include "measure/text.h"
#include "scheme/resolve.h"
#include "speech/meant_words.h"

#include <fmt/format.h>

#include <algorithm>
#include <cmath>

namespace mezzet {

namespace {

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
    // The wall that it goes to.
    const auto& walls = job.room->walls;
    const auto ahead =
        std::min_element(walls.begin(), walls.end(), [&](const Wall& a, const Wall& b) {
            return dot(a.inward(), way) < dot(b.inward(), way);
        });
    if (ahead == walls.end() || dot(ahead->inward(), way) > -0.98)
        return;
    out.push_back(
        fmt::format("move {}{} toward wall {}", moved->name, found[2].str(), ahead->name));
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

} // namespace

std::vector<Meaning> meaningsOfTurns() {
    return {aBitToward, towardTheFoot};
}

std::vector<Meaning> meaningsOfTurnsFirst() {
    return {screenBetween};
}

} // namespace mezzet
