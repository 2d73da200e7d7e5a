// Where along its wall a thing goes: "on the left side of wall A", "against wall A, on the right",
// "near the right end of wall A".
#include "edit/line.h"
#include "fits/fits.h"
#include "hang/free_wall.h"
#include "measure/text.h"
#include "speech/meant_words.h"

#include <fmt/format.h>

#include <algorithm>
#include <cmath>

namespace mezzet {

namespace {

/// The piece a line would put, or moves, as it would be then; none for another line.
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

/// The stretches of a wall that are free for a piece, mm along it.
std::vector<std::pair<double, double>> freeFor(const Piece& p, int wall, const Scene& scene) {
    if (!p.kind->hangs())
        return freeAlong(scene, wall, p.size.depth.mm(), p.size.height, p.id);
    const double run = scene.room->walls[static_cast<std::size_t>(wall)].length().mm();
    std::vector<std::pair<double, double>> taken;
    for (const WallObstacle& o :
         obstaclesBut(faceOf(WallsView(scene), wall, Length::inches(1)), {p.id}))
        if (o.what.is != Target::Is::piece || o.box.high.y > p.size.height.mm())
            taken.emplace_back(o.box.low.x, o.box.high.x);
    std::sort(taken.begin(), taken.end());
    std::vector<std::pair<double, double>> out;
    double from = 0;
    for (const auto& [low, high] : taken) {
        if (low > from)
            out.emplace_back(from, low);
        from = std::max(from, high);
    }
    if (from < run)
        out.emplace_back(from, run);
    return out;
}

/// Where the left edge of so wide a thing comes in the left or right half of a wall: in the middle
/// of the half, or at its end, or as near to that as there is room for it in that half. There,
/// taken or not, where there is none.
double leftEdge(const Piece& p, int wall, bool right, bool atEnd, const Scene& scene) {
    const double run = scene.room->walls[static_cast<std::size_t>(wall)].length().mm();
    const double wide = p.size.width.mm();
    const double aim =
        atEnd ? (right ? run - wide : 0)
              : std::clamp((right ? 0.75 : 0.25) * run - wide / 2, 0.0, std::max(0.0, run - wide));
    std::optional<double> best;
    for (const auto& [from, to] : freeFor(p, wall, scene)) {
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
    for (const char* place : {"against", "on"}) {
        const auto there = fmt::format("{} {} wall {}", thing, place, wallName(wall->index));
        const auto p = putBy(there, job);
        if (!p || p->kind->underCeiling() || p->kind->flat())
            continue;
        const auto part = said(3, 4);
        const bool atEnd = part == "end" || part == "edge" || part == "corner";
        out.push_back(
            fmt::format("{}, {} from left corner{}", there,
                        write(Length::millimetres(
                                  leftEdge(*p, wall->index, said(2, 3) == "right", atEnd, **scene)),
                              job.notation),
                        found[5].str()));
        return;
    }
}

} // namespace

std::vector<Meaning> meaningsOfWalls() {
    return {ofAWall};
}

} // namespace mezzet
