// What takes the place of something else: lights of lamps, two of one.
#include "measure/text.h"
#include "speech/meant_words.h"

#include <fmt/format.h>

#include <algorithm>

namespace mezzet {

namespace {

/// "replace the wardrobe with two smaller ones": two of its kind, each half as wide, side by side.
void byTwoSmaller(const std::string& line, const Project& job, std::vector<std::string>& out) {
    static const Saying words(
        "(?:replace|swap|change|exchange|split) (.+?) (?:with|by|for|into) (?:two|2|"
        "a pair of) (?:smaller|narrower|small|narrow|half-size) (?:ones|.+s)");
    std::smatch found;
    if (!words.is(line, found))
        return;
    const Piece* p = pieceNamed(found[1], job);
    if (p == nullptr || p->isGroup())
        return;
    const Size half{p->size.width / 2, p->size.depth, p->size.height};
    out.push_back(fmt::format("make {0} {1} wide; then add {2} {3} right of {0}", p->name,
                              write(half.width, job.notation), p->kind->name,
                              sizesOf(*p, half, job)));
}

/// "pendants over the nightstands instead of lamps", where there are no lamps: nothing goes.
void insteadOfNone(const std::string& line, const Project& job, std::vector<std::string>& out) {
    static const Saying words(
        "(.+?),? (?:instead of|rather than|in place of) (?:any |having |using )?"
        "([a-z][a-z -]*)");
    std::smatch found;
    if (!words.is(line, found))
        return;
    const auto other = found[2].str();
    static const auto known = meaning("(?:the|my|our|that|those) .*"); // it is asked where that is
    if (std::regex_match(other, known))
        return;
    if (nounIn(other, job) && piecesNamed(other, job).empty() &&
        piecesNamed("the " + other, job).empty() && nounIn(found[1].str(), job))
        out.push_back(found[1].str());
}

/// "sconces instead of lamps, 5 feet off the floor", of lamps that stand on things: one over each
/// of those, as high where that is said.
void inPlaceOfLamps(const std::string& line, const Project& job, std::vector<std::string>& out) {
    static const Saying words(
        "(?:put |use |hang |have )?(?:two |a pair of )?([a-z][a-z -]*?)s (?:instead of|"
        "in place of|rather than) (?:the |my |table |bedside )*lamps(?:,? (?:at )?"
        "([0-9][^,]*?)(?: (?:off the floor|high|up|from the floor))?)?");
    std::smatch found;
    if (!words.is(line, found))
        return;
    const KindPtr kind = job.library.kit->byWord(found[1].str());
    if (!kind || kind->family != Family::light || kind->standsOn())
        return;
    std::vector<std::string> gone;
    std::vector<std::string> lines;
    for (const Piece& p : job.scheme().pieces)
        if (p.kind->family == Family::light && p.on.isCarried()) {
            const Piece* under = job.scheme().byId(p.on.piece);
            if (under == nullptr || !under->on.isFloor())
                return;
            gone.push_back(p.name);
            lines.push_back(kind->underCeiling()
                                ? fmt::format("add a {} over {}", kind->name, under->name)
                            : found[2].matched
                                ? fmt::format("add a {} above {}, centred on {}, centre at {}",
                                              kind->name, under->name, under->name, found[2].str())
                                : fmt::format("add a {} above {}, centred on {}", kind->name,
                                              under->name, under->name));
        }
    if (!gone.empty())
        out.push_back(fmt::format("remove {}; then {}", fmt::join(gone, " and "),
                                  fmt::join(lines, "; then ")));
}

/// "a round rug 250 instead": in place of the one that serves the same.
void insteadOfIt(const std::string& line, const Project& job, std::vector<std::string>& out) {
    static const Saying words("(?:put |use |have |try )?(?:an? )?(.+?) instead");
    std::smatch found;
    if (!words.is(line, found))
        return;
    const auto said = found[1].str();
    const KindPtr noun = nounIn(said, job);
    if (!noun)
        return;
    static const auto round = meaning("^(.*?) round$");
    if (const Piece* old = onlyOneLike(*noun, job))
        out.push_back(fmt::format("replace {} by a {}", old->name,
                                  std::regex_replace(said, round, "round $1")));
}

} // namespace

std::vector<Meaning> meaningsOfInstead() {
    return {byTwoSmaller, insteadOfNone, inPlaceOfLamps, insteadOfIt};
}

} // namespace mezzet
