// Rugs that lie partly under furniture, out from under it, and beside a bed.
#include "edit/arrange.h"
#include "measure/text.h"
#include "scheme/words.h"
#include "speech/meant_words.h"

#include <fmt/format.h>

namespace mezzet {

namespace {

/// How deep a rug is, seen from what it lies under: one that is there, or one that is said. None
/// for what is no rug.
std::optional<Length> rugDepthUnder(const std::string& lying, const Piece& over,
                                    const Project& job) {
    const Piece* rug = pieceNamed(lying, job);
    if (rug == nullptr) {
        const auto put = putBy(fmt::format("{} under the front legs of {}", lying, over.name), job);
        if (put && put->kind->flat())
            return put->size.depth;
        const KindPtr kind = nounIn(lying, job);
        return kind && kind->flat() ? std::optional(kind->size.depth) : std::nullopt;
    }
    if (!rug->kind->flat())
        return {};
    // One that lies across is as deep, seen from the bed, as it is wide.
    const auto scene = sceneOf(job);
    const Placed* lies = scene ? (*scene)->fromAbove(rug->id) : nullptr;
    const Placed* stands = scene ? (*scene)->fromAbove(over.id) : nullptr;
    if (lies == nullptr || stands == nullptr)
        return rug->size.depth;
    return Length::millimetres(extent(lies->shape, stands->pose.front()) +
                               extent(lies->shape, -stands->pose.front()));
}

/// "a 9 x 12 rug under the bed, 3 feet past the foot": so far under it that this much is left.
void pastTheFoot(const std::string& line, const Project& job, std::vector<std::string>& out) {
    if (!mentions(line, {"foot", "end", "front"}))
        return;
    static const Saying words(
        "((?:put |place |add |lay |slide |have )?)(.*?\\b(?:rug|carpet)\\b.*?) (?:under|underneath|"
        "beneath|below) (?:the |my )?(.+?),? (?:and |with )?([0-9].*?|a foot|half a met(?:re|er)) "
        "(?:of it )?(?:past|beyond|out at|out from|off|showing at|at|out past) (?:the |its "
        ")?(?:foot|end|front)(?: of (?:it|the bed|the sofa))?");
    std::smatch found;
    if (!words.is(line, found))
        return;
    const Piece* over = pieceNamed(found[3], job);
    auto figure = foldCase(found[4].str());
    if (figure == "a foot")
        figure = "1 ft";
    else if (figure.starts_with("half"))
        figure = "0.5 m";
    const auto past = readLength(figure, job.notation.units);
    if (over == nullptr || !past)
        return;
    std::string rug = found[2];
    auto deep = rugDepthUnder(rug, *over, job);
    // Longer than that leaves under it lies the other way about: "9 x 12" is 12 across.
    static const auto sized = meaning("([0-9][^ x]*)( ?(?:x|by) ?)([0-9][^ ]*)");
    if (std::smatch size;
        deep && *deep - *past > over->size.depth && std::regex_search(rug, size, sized)) {
        rug = size.prefix().str() + size[3].str() + size[2].str() + size[1].str() +
              size.suffix().str();
        deep = rugDepthUnder(rug, *over, job);
    }
    if (!deep || *deep <= *past || *deep - *past > over->size.depth)
        return;
    out.push_back(fmt::format("{}{} under the front legs of {}, {} on", found[1].str(), rug,
                              over->name, write(*deep - *past, job.notation)));
}

/// "put the rug half under the bed", "a rug two thirds under the bed": forward from under it.
void partlyUnder(const std::string& line, const Project& job, std::vector<std::string>& out) {
    static const Saying words(
        "((?:put |place |add |lay |slide |have )?)(.*?\\b(?:rug|carpet)\\b.*?),? (?:so "
        "(?:that )?)?(?:it(?:'s| is) )?(half|one half|halfway|half way|a third|one third|"
        "two thirds|two-thirds|a quarter|three quarters|partly|partially)(?: of it)?(?: is)? "
        "(?:under|underneath|beneath|below) (?:the |my )?(.+)");
    std::smatch found;
    if (!words.is(line, found))
        return;
    const Piece* over = pieceNamed(found[4], job);
    if (over == nullptr)
        return;
    const auto part = foldCase(found[3].str());
    const double share = part.ends_with("quarters")                ? 0.75
                         : part.starts_with("two")                 ? 2.0 / 3
                         : part.ends_with("third")                 ? 1.0 / 3
                         : part.ends_with("quarter")               ? 0.25
                         : part == "partly" || part == "partially" ? 2.0 / 3
                                                                   : 0.5;
    const auto deep = rugDepthUnder(found[2], *over, job);
    if (!deep)
        return;
    // Under a seat with its back to a wall there is no more room than it is deep: half of that.
    Length under = *deep * share;
    if (over->kind->isSeat() && under > over->size.depth)
        under = over->size.depth * share;
    out.push_back(fmt::format("{}{} under the front legs of {}, {} on", found[1].str(),
                              found[2].str(), over->name, write(under, job.notation)));
}

/// "the rug should go 8 inches under the sofa": so much of it, and no size.
void soFarUnder(const std::string& line, const Project& job, std::vector<std::string>& out) {
    if (!mentions(line, {"under"}))
        return;
    static const Saying words(
        "((?:put |slide |move |lay |pull |push |tuck |have |get )?)((?:the |my |a )?(?:[a-z]+ "
        ")?(?:rug|carpet))(?: (?:should|must|ought to|has to|can))?(?: (?:go|be|lie|sit|reach|come|"
        "run))? (?:by )?([0-9][^,x]*?) (?:under|underneath|beneath) (?:the |my )?(.+)");
    std::smatch found;
    if (!words.is(line, found))
        return;
    const Piece* over = pieceNamed(found[4], job);
    const auto on = over != nullptr ? readLength(found[3].str(), job.notation.units)
                                    : Result<Length>(Problem{});
    const auto deep = on ? rugDepthUnder(found[2], *over, job) : std::nullopt;
    if (!deep || *on >= *deep || *on > over->size.depth)
        return;
    out.push_back(fmt::format("{} under the front legs of {}, {} on", found[2].str(), over->name,
                              found[3].str()));
}

/// "slide the rug out from under the bed": to lie before it.
void outFromUnder(const std::string& line, const Project& job, std::vector<std::string>& out) {
    static const Saying words(
        "(?:slide|pull|take|move|bring|get|draw) (.+?) out (?:from )?(?:under|underneath|"
        "beneath|of) (?:the |my )?(.+)");
    std::smatch found;
    if (!words.is(line, found))
        return;
    const Piece* under = pieceNamed(found[1], job);
    const Piece* over = pieceNamed(found[2], job);
    if (under != nullptr && over != nullptr)
        out.push_back(fmt::format("{} 0 in front of {}", under->name, over->name));
}

/// "a small rug next to the bed", "rugs on both sides of the bed": as such rugs are, where it is
/// none that is there.
void rugBesideABed(const std::string& line, const Project& job, std::vector<std::string>& out) {
    static const Saying words("((?:put |place |add |lay )?)((?:an? |another |two |a pair of "
                              ")?)(?:small |little )?rug(s?) ("
                              "next to|beside|by|(?:to the |on the )?(?:left|right)(?: side)? "
                              "of|(?:on )?(either|each|both) "
                              "sides? of) (.*bed)");
    std::smatch found;
    if (!words.is(line, found))
        return;
    const bool isThere =
        !found[5].matched && found[2].length() == 0 && !piecesNamed("the rug", job).empty();
    const Piece* bed = pieceNamed(found[6], job);
    const auto side = foldCase(found[4].str());
    const bool besides = side == "next to" || side == "beside" || side == "by";
    if (!isThere && bed != nullptr && bed->kind->role == Role::bed)
        out.push_back(fmt::format(
            "{}{}bedside rug{} {} {}", found[1].str(), found[2].str(), found[3].str(),
            besides && found[3].length() > 0 ? "either side of" : found[4].str(), found[6].str()));
}

} // namespace

std::vector<Meaning> meaningsOfRugsFirst() {
    return {rugBesideABed, pastTheFoot, partlyUnder, soFarUnder};
}

std::vector<Meaning> meaningsOfRugs() {
    return {pastTheFoot, partlyUnder, outFromUnder};
}

} // namespace mezzet
