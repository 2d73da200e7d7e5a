// Where things go, told by each other and by what is there.
#include "edit/arrange.h"
#include "edit/beside_wall.h"
#include "edit/words_reader.h"
#include "measure/text.h"
#include "scheme/on_wall.h"
#include "speech/meant_words.h"

#include <fmt/format.h>

#include <algorithm>
#include <cmath>
#include <set>

namespace mezzet {

namespace {

/// Where a piece stands on the floor; null for what is elsewhere.
const Placed* standing(const Scene& scene, const Piece& p) {
    return p.on.isFloor() ? scene.fromAbove(p.id) : nullptr;
}

/// The two pieces that words name; none where they are not two.
std::vector<const Piece*> twoNamed(const std::string& words, const Project& job) {
    // "the two chairs"
    static const auto two = meaning("^(?:the |my )?two ");
    auto out = piecesNamed(words, job);
    if (out.empty())
        out = piecesNamed(std::regex_replace(words, two, "the "), job);
    return out.size() == 2 && out[0] != out[1] ? out : std::vector<const Piece*>();
}

/// Two that words name, and where both stand on the floor; false for all else.
struct TwoStand {
    std::vector<const Piece*> two;
    ScenePtr scene;
    const Placed* one = nullptr;
    const Placed* other = nullptr;
    explicit operator bool() const { return one != nullptr && other != nullptr; }
};
TwoStand twoStanding(const std::string& words, const Project& job) {
    TwoStand out;
    out.two = twoNamed(words, job);
    const auto scene = out.two.empty() ? Result<ScenePtr>(Problem{}) : sceneOf(job);
    if (!scene)
        return out;
    out.scene = *scene;
    out.one = standing(**scene, *out.two[0]);
    out.other = standing(**scene, *out.two[1]);
    return out;
}

/// "turn the chairs toward each other", "sofa and loveseat face each other"
void towardEachOther(const std::string& line, const Project& job, std::vector<std::string>& out) {
    static const Saying words(
        "(?:(?:turn|make|have|angle|point|rotate|set|put|get|face) )?(.+?) (?:a little |slightly )?"
        "(?:to )?(?:facing|faces?|toward|towards|to|so (?:that )?they face|looking at|look at|face "
        "to face with|opposite) (?:each other|one another)");
    std::smatch found;
    if (!words.is(line, found))
        return;
    const auto stand = twoStanding(found[1], job);
    if (!stand)
        return;
    // The one looks at the other by a tie; the other is turned, so that the two go round in no
    // loop.
    const Angle turn = turnToFace(stand.one->pose.at - stand.other->pose.at);
    out.push_back(fmt::format("{1} turned {2:.1f}; then face {0} to {1}", stand.two[0]->name,
                              stand.two[1]->name, turn.inDegrees()));
}

/// "move the chairs closer together", "bed and desk 20 further apart": each by half, along the line
/// between them.
void closerTogether(const std::string& line, const Project& job, std::vector<std::string>& out) {
    static const Saying words(
        "(?:(?:move|push|pull|bring|slide|put|shift|space|set|hang) )?(.+?)(?: ([0-9][^a-z ,]*"
        "(?: [0-9]+/[0-9]+)?(?: ?(?:cm|mm|m|in|inch|inches|ft|feet|foot)\\b)?))?(?: a bit| a "
        "little| slightly)? (closer "
        "together|nearer together|nearer to each other|closer to each other|further apart|farther "
        "apart|more apart|apart from each other)(?: by (.+))?");
    std::smatch found;
    if (!words.is(line, found))
        return;
    const auto two = twoNamed(found[1], job);
    const auto said = found[2].matched ? found[2].str() : found[4].str();
    const bool metric = isMetric(job.notation.units);
    Length by = metric ? Length::centimetres(10) : Length::inches(4);
    if (!said.empty()) {
        const auto l = readLength(std::string(trimmed(said)), job.notation.units);
        if (!l)
            return;
        by = *l;
    }
    if (two.empty())
        return;
    const auto word = foldCase(found[3].str());
    const char* way = word.ends_with("together") || word.find("to each") != std::string::npos
                          ? "toward"
                          : "away from";
    // Where one follows the other, it alone goes all the way.
    const auto follows = [](const Piece& p, const Piece& of) {
        return std::any_of(p.ties.begin(), p.ties.end(),
                           [&](const Tie& t) { return t.refersTo(of.id); });
    };
    if (const bool second = follows(*two[1], *two[0]); second || follows(*two[0], *two[1])) {
        const Piece& one = second ? *two[1] : *two[0];
        const Piece& of = second ? *two[0] : *two[1];
        out.push_back(
            fmt::format("move {} {} {} {}", one.name, write(by, job.notation), way, of.name));
        return;
    }
    const auto half = write(by / 2, job.notation);
    if (two[0]->onWall() && two[1]->onWall()) {
        const auto scene = sceneOf(job);
        if (!scene || two[0]->wall() != two[1]->wall())
            return;
        const bool first =
            (*scene)->byId(two[0]->id)->pose.at.x < (*scene)->byId(two[1]->id)->pose.at.x;
        const bool in = std::string_view(way) == "toward";
        out.push_back(fmt::format("{} {} {}; then {} {} {}", two[0]->name, half,
                                  first == in ? "right" : "left", two[1]->name, half,
                                  first == in ? "left" : "right"));
        return;
    }
    out.push_back(fmt::format("move {0} {2} {3} {1}; then move {1} {2} {3} {0}", two[0]->name,
                              two[1]->name, half, way));
}

/// "push the ottomans together": the second beside the first, on the side it is on.
void together(const std::string& line, const Project& job, std::vector<std::string>& out) {
    if (!mentions(line, {"together", "side by side", "next to each other"}))
        return;
    static const Saying words("(?:push|move|put|bring|slide|set|pull|scoot|shift|shove) (.+?) "
                              "(?:right |close |up |all the way )?"
                              "(?:together|side by side|next to each other|beside each other)");
    std::smatch found;
    if (!words.is(line, found))
        return;
    const auto stand = twoStanding(found[1], job);
    if (!stand)
        return;
    const Pose& one = stand.one->pose;
    const bool left = dot(stand.other->pose.at - one.at, one.right()) < 0;
    // Right and left are as one faces it.
    out.push_back(fmt::format("{} 0 {} of {}", stand.two[1]->name, left ? "left" : "right",
                              stand.two[0]->name));
}

/// "leave 5 between the bookcases", "close the gaps between the shelves": each so far from the one
/// before it, as they stand along their wall, the first staying where it is.
void gapsBetween(const std::string& line, const Project& job, std::vector<std::string>& out) {
    if (!mentions(line, {"between", "gap", "together", "side by side", "apart"}))
        return;
    // "space the pictures 3 apart"
    static const auto apart = meaning("(?:space|set|put|hang|have|move|spread|keep) (.+ [0-9].*?) "
                                      "apart(?: from each other)?");
    static const auto outBy = meaning(" (?:out|by|exactly|out by)(?= [0-9])");
    static const auto leave = meaning("(?:leave|keep|have|put|set) (?:an? )?([0-9].*?)(?: gap| "
                                      "space| free| clear)? between (?:each of "
                                      ")?(?:all )?(.+)");
    static const auto close =
        meaning("(?:close|remove|lose|take out) (?:up )?(?:the |all the )?gaps? "
                "(?:between|in) (.+)");
    static const auto joined = meaning("(?:push|move|put|slide|bring) (.+?) (?:close |right |all )?"
                                       "(?:together|side by side)");
    std::smatch found;
    const bool closed =
        std::regex_match(line, found, close) || std::regex_match(line, found, joined);
    const bool spaced = !closed && std::regex_match(line, found, apart);
    if (!closed && !spaced && !std::regex_match(line, found, leave))
        return;
    const auto parted =
        spaced ? namedAndFigure(std::regex_replace(found[1].str(), outBy, ""), job) : std::nullopt;
    if (spaced && !parted)
        return;
    const std::string gap = closed ? "0" : spaced ? parted->figure : found[1].str();
    auto all = spaced ? parted->pieces : piecesNamed(found[closed ? 1 : 2], job);
    const auto scene = sceneOf(job);
    const auto wall = all.size() < 2 || !scene ? std::nullopt : wallBehind(**scene, all[0]->id);
    if (!wall || std::any_of(all.begin(), all.end(), [&](const Piece* p) {
            return wallBehind(**scene, p->id) != wall || p->onWall() != all[0]->onWall();
        }))
        return;
    // One above the other, so far from top to foot.
    const auto height = [&](const Piece* p) { return (*scene)->byId(p->id)->pose.at.y; };
    if (spaced && all[0]->onWall()) {
        std::stable_sort(all.begin(), all.end(),
                         [&](const Piece* a, const Piece* b) { return height(a) > height(b); });
        const bool column = std::all_of(all.begin() + 1, all.end(), [&](const Piece* p) {
            const double off =
                (*scene)->byId(p->id)->pose.at.x - (*scene)->byId(all[0]->id)->pose.at.x;
            return std::abs(off) < (p->size.width + all[0]->size.width).mm() / 4;
        });
        if (column) {
            std::string lines;
            for (std::size_t i = 1; i < all.size(); ++i)
                lines += fmt::format("{}{}, {} below {}", lines.empty() ? "" : "; then ",
                                     all[i]->name, gap, all[i - 1]->name);
            out.push_back(std::move(lines));
            return;
        }
    }
    const Wall& w = job.room->walls[static_cast<std::size_t>(*wall)];
    const auto along = [&](const Piece* p) {
        return p->onWall() ? (*scene)->byId(p->id)->pose.at.x
                           : dot((*scene)->fromAbove(p->id)->pose.at, w.along());
    };
    std::stable_sort(all.begin(), all.end(),
                     [&](const Piece* a, const Piece* b) { return along(a) < along(b); });
    std::string lines;
    // What hangs and is spaced keeps its middle.
    if (WordsReader figure(gap, job); spaced && all[0]->onWall() && figure.lengthAhead()) {
        const double free = figure.length("the gap").mm();
        double taken = -free;
        for (const Piece* p : all)
            taken += p->size.width.mm() + free;
        const double first = along(all.front()) - all.front()->size.width.mm() / 2;
        const double last = along(all.back()) + all.back()->size.width.mm() / 2;
        if (const double by = (first + last - taken) / 2 - first; std::abs(by) > 1)
            lines = fmt::format("move {} {} by {}", all.front()->name, by < 0 ? "left" : "right",
                                write(Length::millimetres(std::abs(by)), job.notation));
    }
    for (std::size_t i = 1; i < all.size(); ++i)
        lines += fmt::format("{}{}, {} right of {}", lines.empty() ? "" : "; then ", all[i]->name,
                             gap, all[i - 1]->name);
    out.push_back(std::move(lines));
}

/// "copy the bookcase to the opposite wall": straight across from the one it stands at.
void copyAcross(const std::string& line, const Project& job, std::vector<std::string>& out) {
    static const Saying words("(copy|duplicate|repeat|mirror|move|put|shift|take) (.+?) (?:to|on|"
                              "onto|against|at|over to) the (?:opposite|other|facing) wall");
    std::smatch found;
    if (!words.is(line, found))
        return;
    const Piece* p = pieceNamed(found[2], job);
    const auto scene = sceneOf(job);
    const auto own = p != nullptr && scene ? wallBehind(**scene, p->id) : std::nullopt;
    const auto across = own ? wallAcross(*job.room, *own) : std::nullopt;
    if (!across)
        return;
    const auto verb = foldCase(found[1].str());
    const bool moved = verb == "move" || verb == "put" || verb == "shift" || verb == "take";
    out.push_back(fmt::format("{} {} {} wall {}", moved ? "move" : "copy", p->name,
                              p->onWall() ? "to"
                              : moved     ? "against"
                                          : "to",
                              wallName(*across)));
}

/// "angle the armchair 20 degrees toward the fire": so far round, that way.
void anglesToward(const std::string& line, const Project& job, std::vector<std::string>& out) {
    if (!mentions(line, {"toward", "to "}))
        return;
    static const Saying words(
        "(?:angle|turn|rotate|swing|twist|cant|toe in) (.+?) (?:by )?([0-9.,]+) ?(?:degrees?|"
        "°|deg)? ?(?:in )?(?:to|toward|towards) (?:face )?(.+)");
    std::smatch found;
    if (!words.is(line, found))
        return;
    const Piece* p = pieceNamed(found[1], job);
    const auto scene = sceneOf(job);
    const Placed* where = p != nullptr && scene ? standing(**scene, *p) : nullptr;
    if (where == nullptr)
        return;
    const auto t = targetNamed(found[3], job);
    if (!t)
        return;
    const Vec2 to = middleOf(*t, **scene) - where->pose.at;
    // Whichever way round has it look there sooner.
    const auto by = [&](double degrees) {
        Pose turned = where->pose;
        turned.turn = turned.turn + Angle::degrees(degrees);
        return dot(turned.front(), to);
    };
    out.push_back(fmt::format("turn {} {}{}", p->name, by(1) < by(-1) ? "-" : "", found[2].str()));
}

/// "a picture opposite the bed", "tv on wall C opposite the bed": on the wall it looks at, straight
/// before it.
void hungBeforePiece(const std::string& line, const Project& job, std::vector<std::string>& out) {
    static const Saying words("(.+?)(?: on (?:the )?wall ([a-z]))?,? (?:opposite|across from|"
                              "facing|in front of) (?:the |my )?(.+?)(?: on (?:the )?wall "
                              "([a-z]))?");
    std::smatch found;
    if (!words.is(line, found))
        return;
    const Piece* before = pieceNamed(found[3], job);
    const auto scene = sceneOf(job);
    if (before == nullptr || !scene || !before->on.isFloor())
        return;
    const KindPtr noun = nounIn(found[1].str(), job);
    const std::string letter = found[2].matched ? found[2].str() : found[4].str();
    if (!noun || (!noun->hangs() && (letter.empty() || noun->family != Family::screen)))
        return;
    const auto faced = wallFaced(**scene, before->id);
    if (!letter.empty() && (!faced || foldCase(wallName(faced->wall)) != foldCase(letter))) {
        // "tv on wall D opposite the settee", which looks another way: straight across from it.
        const auto& walls = job.room->walls;
        const auto w = std::find_if(walls.begin(), walls.end(), [&](const Wall& each) {
            return foldCase(each.name) == foldCase(letter);
        });
        const Placed* there = (*scene)->fromAbove(before->id);
        const double along =
            w != walls.end() && there != nullptr ? dot(there->pose.at - w->start, w->along()) : -1;
        if (along > 0 && along < w->length().mm())
            out.push_back(fmt::format("{} on wall {}, centre {} from left corner", found[1].str(),
                                      w->name, write(Length::millimetres(along), job.notation)));
        return;
    }
    if (!faced)
        return;
    out.push_back(fmt::format("{} on wall {}, centred on {}", found[1].str(), wallName(faced->wall),
                              before->name));
}

/// "drapes 90 wide", in a room with one window: they hang there.
void curtainsAtTheWindow(const std::string& line, const Project& job,
                         std::vector<std::string>& out) {
    if (!mentions(line, {"curtain", "drape", "blind", "shade", "shutter"}))
        return;
    static const auto placed = meaning(".*\\b(?:window|windows|wall|door|on|over|at|above)\\b.*");
    const KindPtr noun = nounIn(line, job);
    if (!noun || noun->role != Role::curtain)
        return;
    const auto& all = job.room->openings;
    const auto isWindow = [](const Opening& o) { return o.kind == OpeningKind::window; };
    const auto count = std::count_if(all.begin(), all.end(), isWindow);
    // "curtains on the window", of several: which one is asked.
    static const auto onTheWindow =
        meaning("(.+?) (?:on|at|for|over|in|across|to) (?:the|my|our|that) window");
    if (std::smatch found; count > 1 && std::regex_match(line, found, onTheWindow))
        out.push_back(found[1].str() + " centred on the window");
    if (std::regex_match(line, placed))
        return;
    if (count == 1)
        out.push_back(
            fmt::format("{} on {}", line, std::find_if(all.begin(), all.end(), isWindow)->name()));
    // "curtains", and nothing more: at every one.
    static const auto alone =
        meaning("(?:(?:put|hang|add|have) )?(?:some |the )?(?:curtains|drapes|"
                "blinds|roman blinds|roller blinds|shades)(?: up)?");
    if (count > 1 && std::regex_match(line, alone))
        out.push_back(fmt::format("{} on each window", foldCase(noun->name)));
}

/// "a box on the dresser next to the mirror": on the top, by what hangs over it.
void onTopByHung(const std::string& line, const Project& job, std::vector<std::string>& out) {
    if (!mentions(line, {"left of", "right of", "next to", "beside", "by ", "under", "below",
                         "in front of"}))
        return;
    static const Saying words(
        "(.+?) on (?:top of )?(?:the |my )?(.+?),? (?:to the )?(left of|right of|next to|beside|"
        "by|under|below|in front of) (?:the |my )?(.+)");
    std::smatch found;
    if (!words.is(line, found))
        return;
    const Piece* board = pieceNamed(found[2], job);
    const Piece* hung = pieceNamed(found[4], job);
    const KindPtr noun = nounIn(found[1].str(), job);
    const auto scene = sceneOf(job);
    const Placed* top = board != nullptr && scene ? standing(**scene, *board) : nullptr;
    const auto wall = top != nullptr ? wallBehind(**scene, board->id) : std::nullopt;
    if (!noun || hung == nullptr || !wall || !board->kind->hasTop() || !hung->onWall() ||
        hung->wall() != *wall)
        return;
    // Where it hangs along the board, from that one's left end as one faces it.
    const Wall& w = job.room->walls[static_cast<std::size_t>(*wall)];
    const double along = (*scene)->byId(hung->id)->pose.at.x;
    const double middle = top->pose.toLocal(w.at(Length::millimetres(along))).x;
    const double half = board->size.width.mm() / 2;
    const double edge = hung->size.width.mm() / 2;
    const double own = noun->size.width.mm();
    const double gap = 25;
    const auto side = foldCase(found[3].str());
    const double under = half + middle - own / 2;
    const double left = half + middle - edge - gap - own;
    const double right = half + middle + edge + gap;
    const auto fits = [&](double x) { return x >= 0 && x + own <= 2 * half; };
    const bool below = side == "under" || side == "below" || side == "in front of";
    const double at = below                               ? under
                      : side == "left of"                 ? left
                      : side == "right of" || !fits(left) ? right
                                                          : left;
    if (!fits(at))
        return;
    const auto from = isMetric(job.notation.units) ? Length::centimetres(std::round(at / 10))
                                                   : Length::inches(std::round(at / 25.4));
    out.push_back(fmt::format("{} on {}, {} from left end", found[1].str(), board->name,
                              write(from, job.notation)));
}

/// "a side table between the reading chair and the wall": the wall it is nearest to.
void betweenAndTheWall(const std::string& line, const Project& job, std::vector<std::string>& out) {
    if (!mentions(line, {"the wall"}))
        return;
    static const auto words = meaning("(.*\\bbetween )(?:the |my )?(.+?) and the wall");
    static const auto first = meaning("(.*\\bbetween )the wall and (?:the |my )?(.+)");
    std::smatch found;
    if (!std::regex_match(line, found, words) && !std::regex_match(line, found, first))
        return;
    const Piece* of = pieceNamed(found[2], job);
    const auto scene = sceneOf(job);
    const Placed* where = of != nullptr && scene ? standing(**scene, *of) : nullptr;
    if (where == nullptr)
        return;
    // Beside it, and not before or behind it, where there is a wall on that side.
    const Wall* best = nullptr;
    double least = 0;
    double next = 1e300;
    for (const Wall& w : job.room->walls) {
        const double off = dot(where->pose.at - w.start, w.inward());
        const double aside = std::abs(dot(w.inward(), where->pose.right()));
        const double cost = off * (aside > 0.7 ? 1 : 3);
        // What it stands against leaves no room between.
        const double free = -extent(where->shape, -w.inward()) - dot(w.start, w.inward());
        if (off <= 0 || free < Length::inches(8).mm())
            continue;
        if (best == nullptr || cost < least) {
            next = best == nullptr ? next : least;
            best = &w;
            least = cost;
        } else {
            next = std::min(next, cost);
        }
    }
    // In the middle of two that it has at its sides either does for something new; else neither is
    // meant.
    const bool adds = found[1].str().find_first_of("0123456789") == std::string::npos;
    constexpr double clearly = 0.9;
    if (best != nullptr && (least < clearly * next || (std::abs(least - next) < 1 && adds)))
        out.push_back(fmt::format("{}{} and wall {}", found[1].str(), of->name, best->name));
}

/// "move the table away from the wall", of what stands at none: the one behind it, or else nearest
/// to it, and by so much where nothing is said.
void awayFromTheWall(const std::string& line, const Project& job, std::vector<std::string>& out) {
    if (!mentions(line, {"the wall", "a wall"}))
        return;
    static const Saying words(
        "(?:move|pull|bring|slide|push|shift|take|scoot|nudge) (.+?)(?: ([0-9].*?))?(?: a bit| a "
        "little| slightly| further| farther)? (?:away from|off|out from|from) (?:the|a) wall(?: "
        "(?:by )?([0-9].*?))?(?: a bit| a little)?");
    std::smatch found;
    if (!words.is(line, found))
        return;
    const auto it = standsNamed(found[1], job);
    if (!it || wallBehind(*it.scene, it.piece->id))
        return;
    const auto near = wallsNear(*it.scene, it.piece->id);
    // What has a back is off the wall behind that.
    const bool backed = it.piece->kind->isSeat() || it.piece->kind->role == Role::bed ||
                        it.piece->kind->family == Family::storage;
    const auto behind = std::find_if(near.begin(), near.end(), [&](const auto& w) {
        constexpr double square = 0.9;
        return backed && dot(job.room->walls[static_cast<std::size_t>(w.wall)].inward(),
                             it.there->pose.front()) > square;
    });
    const auto said = found[2].matched ? found[2].str() : found[3].str();
    const auto by = said.empty() ? write(job.library.book->habit("step"), job.notation) : said;
    if (!near.empty())
        out.push_back(fmt::format("move {} {} away from wall {}", it.piece->name, by,
                                  wallName((behind != near.end() ? *behind : near.front()).wall)));
}

/// "space the bookcase and the sideboard evenly on wall C": the same free wall before, between and
/// behind them, in the order in which they stand.
void spreadOnWall(const std::string& line, const Project& job, std::vector<std::string>& out) {
    static const Saying words(
        "(?:spread|space|distribute|arrange|set) (.+?) (?:out )?(?:evenly|equally) (?:along|"
        "across|on|over) (?:the )?wall ([a-z])");
    std::smatch found;
    if (!words.is(line, found))
        return;
    const auto wall = wallIndex(foldCase(found[2].str()));
    if (!wall || *wall >= static_cast<int>(job.room->walls.size()))
        return;
    auto all = piecesNamed(found[1], job);
    const auto scene = sceneOf(job);
    const Wall& along = job.room->walls[static_cast<std::size_t>(*wall)];
    const auto place = [&](const Piece* p) {
        const Placed* seen = scene ? (*scene)->fromAbove(p->id) : nullptr;
        return seen != nullptr ? dot(seen->pose.at - along.start, along.along()) : 0.0;
    };
    std::stable_sort(all.begin(), all.end(),
                     [&](const Piece* a, const Piece* b) { return place(a) < place(b); });
    Length taken;
    for (const Piece* p : all)
        taken = taken + p->size.width;
    if (all.size() < 2 || taken > along.length())
        return;
    const Length gap = (along.length() - taken) / static_cast<double>(all.size() + 1);
    Length at = gap;
    std::vector<std::string> lines;
    for (const Piece* p : all) {
        lines.push_back(fmt::format("{} {} wall {}, {} from left corner", p->name,
                                    p->kind->hangs() ? "on" : "against", along.name,
                                    write(at, job.notation)));
        at = at + p->size.width + gap;
    }
    out.push_back(fmt::format("{}", fmt::join(lines, "; then ")));
}

/// "a chair on the window side of the sofa", "next to the settee, door side": on the side of it
/// that is nearest to that.
void onTheSideOf(const std::string& line, const Project& job, std::vector<std::string>& out) {
    if (!mentions(line, {" side", "-side"}))
        return;
    static const auto before = meaning("(.+?) (?:on|at|to) the (.+?)[- ]side of (?:the |my )?(.+)");
    static const auto behind =
        meaning("(.+?),? (?:next to|beside|by|to the side of|at the side of|alongside) "
                "(?:the |my "
                ")?(.+?),? (?:(?:on|to|at|along) )?(?:the |its )?([a-z0-9 ]+?)(?:'s)? side");
    std::smatch found;
    const bool first = std::regex_match(line, found, before);
    if (!first && !std::regex_match(line, found, behind))
        return;
    const Piece* of = pieceNamed(found[first ? 3 : 2], job);
    const auto scene = sceneOf(job);
    const Placed* where = of != nullptr && scene ? standing(**scene, *of) : nullptr;
    if (where == nullptr)
        return;
    const std::string named = found[first ? 2 : 3];
    std::vector<Vec2> toward;
    const auto add = [&](const Target& t) {
        toward.push_back(t.is == Target::Is::wall
                             ? -job.room->walls[static_cast<std::size_t>(t.index)].inward()
                             : middleOf(t, **scene) - where->pose.at);
    };
    for (const auto& [name, t] : targetsNamed(named, job)) // windows, where all are on one side
        add(t);
    std::set<std::string> sides;
    for (const Vec2 v : toward) {
        const double ahead = first ? dot(v, where->pose.front()) : 0;
        const double aside = dot(v, where->pose.right());
        // Right and left are as one faces it.
        sides.insert(std::abs(ahead) > std::abs(aside) ? (ahead > 0 ? "in front of" : "behind")
                     : aside > 0                       ? "right of"
                                                       : "left of");
    }
    if (sides.size() == 1)
        out.push_back(fmt::format("{} {} {}", found[1].str(), *sides.begin(), of->name));
}

} // namespace

std::vector<Meaning> meaningsOfPlace() {
    return {onTopByHung,     curtainsAtTheWindow, betweenAndTheWall, onTheSideOf, spreadOnWall,
            awayFromTheWall, towardEachOther,     gapsBetween,       together,    closerTogether,
            copyAcross,      anglesToward,        hungBeforePiece};
}

} // namespace mezzet
