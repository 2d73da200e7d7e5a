// Turns and steps told by what is there: a bit toward a thing, toward the foot of a bed.
#include "edit/beside_wall.h"
#include "edit/edit.h"
#include "geometry/gap.h"
#include "measure/notation.h"
#include "measure/text.h"
#include "scheme/on_wall.h"
#include "speech/meant_words.h"

#include <fmt/format.h>

#include <algorithm>
#include <cmath>

namespace mezzet {

namespace {

/// The point on the floor that one turns to when one turns to a thing.
std::optional<Vec2> turnedTo(const Target& t, const Scene& scene) {
    if (t.is == Target::Is::piece)
        if (const Placed* there = scene.inPlan(t.piece))
            return there->pose.at;
    const auto wall = wallOf(t, scene);
    const auto box = wall && t.is != Target::Is::wall ? boxOn(t, *wall, scene) : std::nullopt;
    if (!box)
        return {};
    const Wall& w = scene.room->walls[static_cast<std::size_t>(*wall)];
    return w.at(Length::millimetres((box->low.x + box->high.x) / 2));
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
    const auto middle = to ? turnedTo(*to, *of.scene) : std::nullopt;
    if (!middle || norm(*middle - of.there->pose.at) < 1)
        return;
    const double off =
        difference(turnToFace(*middle - of.there->pose.at), of.there->pose.turn).inDegrees();
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
    const Piece* bed = nullptr;
    for (const Piece& p : job.scheme().pieces)
        if (p.kind->role == Role::bed) {
            if (bed != nullptr)
                return;
            bed = &p;
        }
    const auto scene = sceneOf(job);
    const Placed* there = bed != nullptr && scene ? (*scene)->fromAbove(bed->id) : nullptr;
    if (moved == nullptr || there == nullptr || moved == bed)
        return;
    const Vec2 way =
        foldCase(found[3].str()) == "foot" ? there->pose.front() : -there->pose.front();
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
