// Of corners: out of one, and up to one.
#include "edit/beside_wall.h"
#include "edit/words_reader.h"
#include "measure/text.h"
#include "scheme/on_wall.h"
#include "speech/meant_words.h"

#include <fmt/format.h>

#include <algorithm>
#include <cmath>

namespace mezzet {

namespace {

/// "pull the armchair 40 out of the corner": off both walls that meet there; of what stands along a
/// wall, farther along it.
void outOfCorner(const std::string& line, const Project& job, std::vector<std::string>& out) {
    static const Saying words(
        "(?:pull|move|bring|slide|push|take|ease|get) (.+?)(?: (?:by )?([0-9].*?))? (?:out of|away "
        "from|off|out from|from) (?:the|its|that) corner(?: (?:by )?([0-9].*?))?(?: a "
        "(?:bit|little))?");
    std::smatch found;
    if (!words.is(line, found))
        return;
    const auto it = standsNamed(found[1], job);
    if (!it)
        return;
    const auto said = found[2].matched ? found[2].str() : found[3].str();
    const auto read = said.empty() ? Result<Length>(job.library.book->habit("step"))
                                   : readLength(said, job.notation.units);
    if (!read)
        return;
    // The corner it stands in is the nearest.
    const auto& walls = job.room->walls;
    const auto off = [&](const Wall& w) { return norm(it.there->pose.at - w.start); };
    const auto best = std::min_element(
        walls.begin(), walls.end(), [&](const Wall& a, const Wall& b) { return off(a) < off(b); });
    const auto& before = best == walls.begin() ? walls.back() : *(best - 1);
    const double reach = std::hypot(it.piece->size.width.mm(), it.piece->size.depth.mm()) / 2;
    const double inIt = reach + Length::inches(16).mm();
    if (const auto own = wallBehind(*it.scene, it.piece->id); own && off(*best) > inIt) {
        const auto n = walls.size();
        const auto at = static_cast<std::size_t>(*own);
        const bool left =
            norm(it.there->pose.at - walls[at].start) < norm(it.there->pose.at - walls[at].end);
        out.push_back(fmt::format("move {} {} toward wall {}", it.piece->name,
                                  write(*read, job.notation),
                                  walls[(at + (left ? 1 : n - 1)) % n].name));
        return;
    }
    out.push_back(
        fmt::format("move {0} {1} away from wall {2}; then move {0} {1} away from wall {3}",
                    it.piece->name, write(*read, job.notation), before.name, best->name));
}

/// "move the sofa to the opposite corner": the one farthest from where it stands.
void toTheOppositeCorner(const std::string& line, const Project& job,
                         std::vector<std::string>& out) {
    static const Saying words(
        "(?:(?:move|put|shift|bring|take|push|slide) )?(.+?) (?:over |across )?(?:to|in|"
        "into) the (?:opposite|diagonal|diagonally opposite|other) corner");
    std::smatch found;
    if (!words.is(line, found))
        return;
    const auto it = standsNamed(found[1], job);
    if (!it || !job.room->closed)
        return;
    const auto& walls = job.room->walls;
    std::size_t far = 0;
    for (std::size_t i = 1; i < walls.size(); ++i)
        if (norm(it.there->pose.at - walls[i].start) > norm(it.there->pose.at - walls[far].start))
            far = i;
    const std::size_t before = (far + walls.size() - 1) % walls.size();
    out.push_back(
        fmt::format("{} in corner {}{}", it.piece->name, walls[before].name, walls[far].name));
}

/// "move the plants into the corners": each into the nearest that none of the others takes.
void oneInEachCorner(const std::string& line, const Project& job, std::vector<std::string>& out) {
    static const Saying words(
        "(?:put|move|place|set|stand|push|tuck) (.+?) (?:in|into|to|at) (?:the |all the |"
        "opposite |different |two |separate )*corners(?: of the room)?");
    std::smatch found;
    if (!words.is(line, found))
        return;
    auto stand = severalStanding(found[1], job);
    const auto& walls = job.room->walls;
    std::vector<std::size_t> corners;
    for (std::size_t i = 0; i < walls.size(); ++i) {
        const Wall& before = walls[(i + walls.size() - 1) % walls.size()];
        if (dot(before.inward(), walls[i].along()) > 0.1) // an inside corner
            corners.push_back(i);
    }
    if (stand.all.size() < 2 || stand.all.size() > corners.size())
        return;
    std::string lines;
    for (const auto& [p, there] : stand.all) {
        const Vec2 at = there->pose.at;
        const auto best =
            std::min_element(corners.begin(), corners.end(), [&](std::size_t a, std::size_t b) {
                return norm(walls[a].start - at) < norm(walls[b].start - at);
            });
        lines +=
            fmt::format("{}move {} in corner {}{}", lines.empty() ? "" : "; then ", p->name,
                        walls[(*best + walls.size() - 1) % walls.size()].name, walls[*best].name);
        corners.erase(best);
    }
    out.push_back(std::move(lines));
}

/// "slide the bookcase to the right corner", of what stands at a wall: that corner of it.
void toItsCorner(const std::string& line, const Project& job, std::vector<std::string>& out) {
    static const Saying words(
        "(?:slide|move|push|shift|put|bring|take|scoot) (.+?) (?:over |all the way |along "
        ")?(?:to|into|in) "
        "(?:the |its )?(left|right)(?:[- ]hand)? corner(?: of (?:the|its) (?:room|wall))?");
    std::smatch found;
    if (!words.is(line, found))
        return;
    const auto it = standsNamed(found[1], job);
    const auto wall = it ? wallBehind(*it.scene, it.piece->id) : std::nullopt;
    if (!wall)
        return;
    const auto n = static_cast<int>(job.room->walls.size());
    const bool right = foldCase(found[2].str()) == "right";
    const int other = (*wall + (right ? 1 : n - 1)) % n;
    out.push_back(fmt::format("{} against wall {}, 0 from corner {}{}", it.piece->name,
                              wallName(*wall), wallName(*wall), wallName(other)));
}

/// "between the window and the corner": the corner of its wall that is farther off, or the one on
/// the side that is said.
void betweenAndCorner(const std::string& line, const Project& job, std::vector<std::string>& out) {
    if (!mentions(line, {"corner"}))
        return;
    static const auto words =
        meaning("\\bbetween (?:the |my )?(.+?) and the (left |right )?corner\\b(?! ?[a-z]{2}\\b)");
    static const auto first = meaning("\\bbetween the (left |right )?corner and (?:the |my )?(.+)");
    std::smatch found;
    const bool last = std::regex_search(line, found, words);
    if (!last && !std::regex_search(line, found, first))
        return;
    const auto scene = sceneOf(job);
    // "the window", behind "on wall D", is the one there.
    static const auto onWall = meaning("\\bon (?:the )?wall ([a-z])\\b");
    std::string named = found[last ? 1 : 2];
    if (std::smatch wall; std::regex_search(line, wall, onWall) && !targetNamed(named, job))
        named += " on wall " + wall[1].str();
    const auto t = targetNamed(named, job);
    const auto wall = t && scene ? wallOf(*t, **scene) : std::nullopt;
    const auto box = wall ? boxOn(*t, *wall, **scene) : std::nullopt;
    if (!box)
        return;
    const auto& walls = job.room->walls;
    const auto at = static_cast<std::size_t>(*wall);
    const auto said = found[last ? 2 : 1];
    const bool left = said.matched ? foldCase(said.str()).starts_with("left")
                                   : box->low.x > walls[at].length().mm() - box->high.x;
    const auto other = left ? (at + walls.size() - 1) % walls.size() : (at + 1) % walls.size();
    out.push_back(fmt::format("{}between {} and corner {}{}{}", found.prefix().str(), named,
                              walls[at].name, walls[other].name, found.suffix().str()));
}

/// "in the corner farthest from the door", "the far corner", "the corner nearest the window": of
/// those that one can stand in; the far one is told from the only door.
void cornerByWhatIsThere(const std::string& line, const Project& job,
                         std::vector<std::string>& out) {
    if (!mentions(line, {"corner"}))
        return;
    static const auto before = meaning(
        "\\b(?:in|into|to|at|on) (?:the )?(furthest|farthest|nearest|closest|far|opposite|other) "
        "corner(?: (?:from|to|away from|of) (?:the |my )?(.+))?$");
    static const auto behind = meaning(
        "\\b(?:in|into|to|at|on) (?:the )?corner,? (?:that(?:'s| is) |which is "
        ")?(furthest|farthest|"
        "nearest|closest|closer|nearer|further|farther|furthest away|farthest away|diagonally "
        "opposite|opposite|diagonal|across from|away)(?: from| to| away from)? (?:the |my )?(.+)$");
    std::smatch found;
    if (!std::regex_search(line, found, behind) && !std::regex_search(line, found, before))
        return;
    const auto word = foldCase(found[1].str());
    // "the other corner" goes with what is named; which one it is not.
    const bool near = word.starts_with("near") || word.starts_with("close");
    const std::string named = found[2].matched ? found[2].str()
                              : word == "far"  ? std::string("door")
                                               : std::string();
    if (named.empty())
        return;
    const auto scene = sceneOf(job);
    const auto t = targetNamed(named, job);
    if (!t || !scene) {
        // Which of several doors is asked as for any corner by it.
        out.push_back(fmt::format("{}in the corner by the {}", found.prefix().str(), named));
        return;
    }
    const Vec2 from = middleOf(*t, **scene);
    std::string best;
    double bestFar = 0;
    for (const auto& corner : cornersToStandIn(*job.room)) {
        const auto c = targetNamed(corner, job, false);
        if (!c)
            continue;
        const double far = norm(middleOf(*c, **scene) - from) * (near ? -1 : 1);
        if (best.empty() || far > bestFar) {
            best = corner;
            bestFar = far;
        }
    }
    if (!best.empty())
        out.push_back(fmt::format("{}in {}", found.prefix().str(), best));
}

} // namespace

std::vector<Meaning> meaningsOfCorners() {
    return {oneInEachCorner,     toItsCorner, betweenAndCorner,
            cornerByWhatIsThere, outOfCorner, toTheOppositeCorner};
}

} // namespace mezzet
