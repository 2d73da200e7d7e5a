// Walls, windows and corners told by what stands there: "the wardrobe wall", "the desk window",
// "the corner right of the window"; and small things that have one place to stand.
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

/// The opening of a kind that is nearest to a piece; null where there is none, or two are as near.
const Opening* nearestOpening(const Piece& p, OpeningKind kind, const Scene& scene) {
    const Vec2 at = middleOf(pieceTarget(p.id), scene);
    const Opening* best = nullptr;
    double nearest = 0;
    double second = 0;
    for (const Opening& o : scene.room->openings) {
        if (o.kind != kind)
            continue;
        const double far = norm(middleOf(*scene.room, o) - at);
        if (best == nullptr || far < nearest) {
            second = best == nullptr ? far * 2 + 1 : nearest;
            nearest = far;
            best = &o;
        } else {
            second = std::min(second, far);
        }
    }
    constexpr double clearly = 0.8; // of the next one's distance: else either may be meant
    return best != nullptr && nearest < second * clearly ? best : nullptr;
}

/// "on the wardrobe wall", "under the desk window": the wall a piece is at, the window by it.
void toldByAPiece(const std::string& line, const Project& job, std::vector<std::string>& out) {
    if (!mentions(line, {"wall", "window", "door"}))
        return;
    static const auto words =
        meaning("\\bthe ([a-z]+(?: [a-z]+)?)(?:'s)? (wall|window|door)\\b(?! ?(?:[0-9]|[a-z]\\b))");
    std::smatch found;
    if (!std::regex_search(line, found, words))
        return;
    const auto scene = sceneOf(job);
    const Piece* p = scene ? pieceNamed("the " + found[1].str(), job) : nullptr;
    if (p == nullptr)
        return;
    std::string place;
    if (const auto what = foldCase(found[2].str()); what == "wall") {
        if (const auto wall = wallBehind(**scene, p->id))
            place = "wall " + wallName(*wall);
    } else if (const Opening* o = nearestOpening(
                   *p, what == "door" ? OpeningKind::door : OpeningKind::window, **scene)) {
        place = o->name();
    }
    if (!place.empty())
        out.push_back(found.prefix().str() + place + found.suffix().str());
}

/// "in the corner right of the window": the corner of its wall on that side.
void cornerBeside(const std::string& line, const Project& job, std::vector<std::string>& out) {
    if (!mentions(line, {"corner"}))
        return;
    static const auto words =
        meaning("\\b(?:in|into|to|at) the corner,? (?:to the |on the |at the )?(left|right)"
                "(?:[- ]hand)?(?: side)? of (?:the |my )?(.+)$");
    std::smatch found;
    if (!std::regex_search(line, found, words))
        return;
    const auto scene = sceneOf(job);
    const auto t = scene ? targetNamed(found[2].str(), job) : std::nullopt;
    const auto wall = t ? wallOf(*t, **scene) : std::nullopt;
    if (!wall)
        return;
    const auto n = static_cast<int>(job.room->walls.size());
    const int other = (*wall + (foldCase(found[1].str()) == "right" ? 1 : n - 1)) % n;
    out.push_back(
        fmt::format("{}in corner {}{}", found.prefix().str(), wallName(*wall), wallName(other)));
}

/// "in the corner between the window and the wardrobe": where the walls of the two meet.
void cornerBetween(const std::string& line, const Project& job, std::vector<std::string>& out) {
    if (!mentions(line, {"corner"}))
        return;
    static const auto words = meaning("\\b(?:in|into|to|at) the corner,? (?:between|of) (?:the |my "
                                      ")?(.+?) and (?:the |my )?(.+)$");
    std::smatch found;
    if (!std::regex_search(line, found, words))
        return;
    const auto scene = sceneOf(job);
    const auto wallAt = [&](const std::string& named) {
        const auto t = scene ? targetNamed(named, job) : std::nullopt;
        return t ? wallOf(*t, **scene) : std::nullopt;
    };
    const auto one = wallAt(found[1].str());
    const auto other = wallAt(found[2].str());
    const auto n = static_cast<int>(job.room->walls.size());
    if (!one || !other || ((*one + 1) % n != *other && (*other + 1) % n != *one))
        return;
    const bool ahead = (*one + 1) % n == *other;
    out.push_back(fmt::format("{}in corner {}{}", found.prefix().str(),
                              wallName(ahead ? *one : *other), wallName(ahead ? *other : *one)));
}

/// "two bedside lamps", "bedside lamps": one on each nightstand, where there are as many that carry
/// none.
void lampsByTheBed(const std::string& line, const Project& job, std::vector<std::string>& out) {
    static const Saying words(
        "(?:(?:put|place|add|set|have|get|with) )?(?:(an?|one|two|2|a pair "
        "of|some|the|both) )?(?:matching )?bedside (?:table )?(lamps?|lights?)"
        "(?: too| as well)?");
    std::smatch found;
    if (!words.is(line, found))
        return;
    const auto& pieces = job.scheme().pieces;
    const auto carries = [&](const Piece& p) {
        return std::any_of(pieces.begin(), pieces.end(), [&](const Piece& o) {
            return o.on.isCarried() && o.on.piece == p.id && o.kind->light != nullptr;
        });
    };
    const auto isByABed = [&](const Piece& p) {
        return p.kind->family == Family::sleep ||
               std::any_of(p.ties.begin(), p.ties.end(), [&](const Tie& t) {
                   const Piece* of = t.kind == Tie::Kind::fromPiece && t.of.is == Target::Is::piece
                                         ? job.scheme().byId(t.of.piece)
                                         : nullptr;
                   return of != nullptr && of->kind->role == Role::bed;
               });
    };
    std::vector<const Piece*> tables;
    for (const Piece& p : pieces)
        if (p.kind->role == Role::sideTable && isByABed(p) && !carries(p))
            tables.push_back(&p);
    const auto count = foldCase(found[1].str());
    const bool several = foldCase(found[2].str()).ends_with("s");
    const bool one = !several && (count.empty() || count == "a" || count == "one");
    if (tables.empty() || (one && tables.size() != 1) || (!one && !several) ||
        ((count == "two" || count == "2" || count == "a pair of" || count == "both") &&
         tables.size() != 2))
        return;
    std::vector<std::string> lines;
    for (const Piece* t : tables)
        lines.push_back("add a bedside lamp on " + t->name);
    out.push_back(fmt::format("{}", fmt::join(lines, "; then ")));
}

/// "screen in front of the window": one that folds, where no picture shows on one there.
void foldingScreen(const std::string& line, const Project& job, std::vector<std::string>& out) {
    static const Saying words("((?:put|place|add|stand|set) )?(?:an? )?screen ((?:in front "
                              "of|before|across) (?:the |a |my )?(.+))");
    std::smatch found;
    if (!words.is(line, found))
        return;
    const auto t = targetNamed(found[3].str(), job, false);
    if (!t)
        return;
    const Fixture* built = fixtureOf(*job.room, *t);
    const bool fire = built != nullptr && (built->kind == FixtureKind::fireplace ||
                                           built->kind == FixtureKind::chimney);
    out.push_back(fmt::format("{}a {} {}", found[1].str(), fire ? "fire screen" : "folding screen",
                              found[2].str()));
}

/// "how far does the rug stick out?": past what it lies under.
void rugSticksOut(const std::string& line, const Project& job, std::vector<std::string>& out) {
    static const Saying words("how (?:far|much) (?:does|do|will) ((?:the |my )?(?:[a-z]+ )?rug) "
                              "(?:stick|come|reach|go|extend|jut) out\\b[^?]*\\??");
    std::smatch found;
    if (!words.is(line, found))
        return;
    const Piece* rug = pieceNamed(found[1].str(), job);
    if (rug == nullptr)
        return;
    for (const Tie& t : rug->ties)
        if (t.kind == Tie::Kind::under && t.group.size() == 1)
            if (const Piece* over = job.scheme().byId(t.group.front()))
                out.push_back(fmt::format("how far does {} reach past {}?", rug->name, over->name));
}

/// "the chaise on the right of the sectional": the hand of that; "a chaise" is another piece.
void itsChaise(const std::string& line, const Project& job, std::vector<std::string>& out) {
    static const Saying words(
        "(?:(?:put|have|move|place) )?(?:the |its )?(?:chaise|return|long part) "
        "(?:on|to|at) the (left|right)(?:[- ]hand)?(?: side| end)? of (.+)");
    std::smatch found;
    if (!words.is(line, found))
        return;
    const Piece* sofa = pieceNamed(found[2].str(), job);
    if (sofa != nullptr && sofa->footprint.form == FootprintForm::ell)
        out.push_back(fmt::format("make {} {}-handed", sofa->name, foldCase(found[1].str())));
}

/// "hooks by the door": a rail of them; how many single ones is said.
void hooksOnARail(const std::string& line, const Project&, std::vector<std::string>& out) {
    static const Saying words(
        "((?:put|hang|add|place|fix) )?(?:some |a few )?hooks( (?:on|by|near|next "
        "to|beside|left of|right of|in|at|under|above|over|to the) .+)?");
    std::smatch found;
    if (!words.is(line, found))
        return;
    static const auto onIt =
        meaning("^ on the wall (?=(?:by|near|next to|beside|left of|right of|above|over|under) )");
    out.push_back(found[1].str() + "a hook rail" + std::regex_replace(found[2].str(), onIt, " "));
}

/// "85 inch tv", of the one that is there: made so large.
void screenOfASize(const std::string& line, const Project& job, std::vector<std::string>& out) {
    static const Saying words(
        "(?:(?:get|have|use|try|want) )?(?:an? |the )?([0-9]+) ?(?:inch(?:es)?|in|\")?[ "
        "-]?(?:tv|television|screen)(?: instead)?");
    std::smatch found;
    if (!words.is(line, found))
        return;
    const Piece* tv = pieceNamed("the tv", job);
    if (tv != nullptr && tv->kind->role == Role::screen)
        out.push_back(fmt::format("make {} {} inches", tv->name, found[1].str()));
}

/// "move one bookcase to wall D", of several: the last of them.
void oneOfThem(const std::string& line, const Project& job, std::vector<std::string>& out) {
    static const Saying words(
        "((?:move|put|push|slide|turn|rotate|bring|take|place|shift|make|swap|lock|"
        "copy|raise|lower) )(?:one|one of the|one of those) ([a-z -]+?)( "
        "(?:to|in|into|on|against|under|by|beside|next|near|between|behind|left|"
        "right|around|[0-9]|a |wider|longer|taller|lower|higher|for|with).*)");
    std::smatch found;
    if (!words.is(line, found))
        return;
    const auto noun = found[2].str();
    auto all = piecesNamed("the " + (noun.ends_with("s") ? noun : noun + "s"), job);
    if (all.size() < 2)
        return;
    out.push_back(found[1].str() + all.back()->name + found[3].str());
}

} // namespace

std::vector<Meaning> meaningsByPieces() {
    return {toldByAPiece, cornerBeside, cornerBetween, oneOfThem, screenOfASize};
}

std::vector<Meaning> meaningsByPiecesFirst() {
    return {lampsByTheBed, foldingScreen, rugSticksOut, hooksOnARail, itsChaise};
}

} // namespace mezzet
