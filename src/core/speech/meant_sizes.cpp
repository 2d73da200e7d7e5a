// What is as large as something else, or larger by so much.
#include "edit/words_reader.h"
#include "measure/text.h"
#include "speech/meant.h"
#include "speech/meant_words.h"

#include <fmt/format.h>

#include <algorithm>
#include <iterator>

namespace mezzet {

namespace {

/// How large a thing is that is named: a piece, or what is built into a wall.
std::optional<Size> sizeSaid(WordsReader& in, const Project& job) {
    try {
        const Target t = in.target();
        if (t.is == Target::Is::piece)
            return job.scheme().byId(t.piece)->size;
        if (t.is == Target::Is::ceiling)
            return Size{{}, {}, job.room->ceiling};
        if (t.is == Target::Is::wall && t.index < static_cast<int>(job.room->walls.size()))
            return Size{job.room->walls[static_cast<std::size_t>(t.index)].length(), {}, {}};
        if (const Fixture* f = fixtureOf(*job.room, t))
            return Size{f->width, {}, f->height};
        const auto& all = job.room->openings;
        const auto it = std::find_if(all.begin(), all.end(),
                                     [&](const Opening& o) { return t == targetOf(o); });
        if (it == all.end())
            return {};
        return Size{it->width, {}, it->kind == OpeningKind::window ? it->height : it->head()};
    } catch (const LineFault&) {
        return {};
    }
}

/// "make the bookcases as tall as the door", "the same width as the sofa"
void theSameSize(const std::string& line, const Project& job, std::vector<std::string>& out) {
    if (!mentions(line, {"same", "as "}))
        return;
    static const auto same =
        meaning("(?:make|size|have|set) (.+?) (?:to )?(?:be )?(?:to )?the same "
                "(height|width|length|depth|size) (?:as|of) (.+)");
    static const auto as = meaning("(?:make|size|have|set) (.+?) (?:to )?(?:be )?(?:just )?as "
                                   "(tall|high|wide|long|deep|big) as (.+)");
    static const auto added =
        meaning("((?!make |size |have |set |is |are |turn )(?:(?:put|place|hang|add) )?"
                "(?:an? )?.+?),? (?:just )?(?:exactly )?as (tall|high|wide|long|deep|big) as (.+)");
    static const auto addedSame = meaning(
        "((?!make |size |have |set |is |are |turn )(?:(?:put|place|hang|add) )?(?:an? )?.+?),? "
        "(?:of |with )?(?:exactly )?(?:the )?same "
        "(height|width|length|depth|size) as (.+)");
    std::smatch found;
    const bool isNew =
        std::regex_match(line, found, added) || std::regex_match(line, found, addedSame);
    if (!isNew && !std::regex_match(line, found, same) && !std::regex_match(line, found, as))
        return;
    const auto what = foldCase(found[2].str());
    WordsReader in(line, job);
    in.goTo(static_cast<std::size_t>(found.position(3)));
    const auto of = sizeSaid(in, job);
    if (!of || (!isNew && !in.done()))
        return;
    const auto said = [&](Length l) { return write(l, job.notation); };
    std::string sizes;
    if (what == "height" || what == "tall" || what == "high")
        sizes = of->height > Length{} ? said(of->height) + " tall" : "";
    else if (what == "depth" || what == "deep")
        sizes = of->depth > Length{} ? said(of->depth) + " deep" : "";
    else if (what == "size" || what == "big")
        sizes = of->depth > Length{} ? said(of->width) + " x " + said(of->depth) : "";
    else
        sizes = said(of->width) + " wide";
    if (sizes.empty())
        return;
    const std::string rest(in.rest());
    out.push_back(
        isNew ? fmt::format("{} {}{}{}", found[1].str(), sizes, rest.empty() ? "" : " ", rest)
              : fmt::format("make {} {}", found[1].str(), sizes));
    // "a bench at the foot of the bed, as wide as the bed": the place was told first.
    if (isNew && rest.empty())
        out.push_back(fmt::format("{}, {}", found[1].str(), sizes));
}

/// "curtains 20 wider than the window", "make the rug 12 longer than the sofa on each side"
void largerThan(const std::string& line, const Project& job, std::vector<std::string>& out) {
    static const Saying words(
        "((?:make )?)(.+?),? (?:that (?:is|are) )?([0-9][^a-z,]*(?: ?(?:cm|mm|m|in|inch|inches|ft|"
        "feet|foot)\\b)?) (wider|longer|taller|higher|deeper|narrower|shorter|lower|bigger|larger) "
        "than (.+)");
    std::smatch found;
    if (!words.is(line, found))
        return;
    auto by = readLength(std::string(trimmed(found[3].str())), job.notation.units);
    WordsReader in(line, job);
    in.goTo(static_cast<std::size_t>(found.position(5)));
    const std::size_t from = in.at();
    const auto of = sizeSaid(in, job);
    if (!of || !by)
        return;
    const std::string reference(trimmed(line.substr(from, in.at() - from)));
    std::string rest(trimmed(in.rest()));
    static const auto twice =
        meaning("^,? ?(?:on|at|to) (?:each|every|both|either) (?:sides?|ends?)");
    if (std::smatch each; std::regex_search(rest, each, twice)) {
        rest = each.suffix();
        *by = *by * 2;
    }
    const auto what = foldCase(found[4].str());
    const bool less = what == "narrower" || what == "shorter" || what == "lower";
    const bool high = what == "taller" || what == "higher" || what == "lower";
    const bool deep = what == "deeper";
    const bool both = what == "bigger" || what == "larger";
    const auto grown = [&](Length l) { return write(less ? l - *by : l + *by, job.notation); };
    const Length base = high ? of->height : deep ? of->depth : of->width;
    if (base <= Length{} || (less && base <= *by) || (both && of->depth <= Length{}))
        return;
    std::string size = both ? grown(of->width) + " x " + grown(of->depth)
                            : grown(base) + (high   ? " tall"
                                             : deep ? " deep"
                                                    : " wide");
    // Curtains that are told by their window hang there.
    const KindPtr noun = nounIn(found[2].str(), job);
    const bool wear = noun && noun->role == Role::curtain && found.length(1) == 0 && rest.empty();
    if (wear)
        rest = "on " + reference;
    out.push_back(fmt::format("{}{} {}{}{}", found[1].str(), found[2].str(), size,
                              rest.empty() || rest.front() == ',' ? "" : " ", rest));
}

/// "make the pictures the same size": each as large as the largest of them.
void allAlike(const std::string& line, const Project& job, std::vector<std::string>& out) {
    static const Saying words(
        "(?:make|have|set) (.+?) (?:all )?(?:be )?(?:(?:the )?same size|the same|alike|equal(?: in "
        "size)?|match(?: in size)?|match each other|(?:the )?same size as each other)");
    std::smatch found;
    if (!words.is(line, found))
        return;
    const auto all = piecesNamed(found[1], job);
    if (all.size() < 2)
        return;
    const auto second = [](const Piece* p) {
        return p->kind->hangs() ? p->size.height : p->size.depth;
    };
    const Piece* largest =
        *std::max_element(all.begin(), all.end(), [&](const Piece* a, const Piece* b) {
            return a->size.width.mm() * second(a).mm() < b->size.width.mm() * second(b).mm();
        });
    std::string lines;
    for (const Piece* p : all)
        if (p->size != largest->size)
            lines += fmt::format("{}make {} {} x {}", lines.empty() ? "" : "; then ", p->name,
                                 write(largest->size.width, job.notation),
                                 write(second(largest), job.notation));
    if (!lines.empty())
        out.push_back(std::move(lines));
}

/// "make the desk deeper, 75", "make it longer: 200"
void grownTo(const std::string& line, const Project& job, std::vector<std::string>& out) {
    if (!mentions(line, {"make"}))
        return;
    static const auto words = meaning(
        "make (.+?) (wider|longer|taller|higher|deeper|narrower|shorter|lower|shallower)(?:,|:| to|"
        ", to|, say|, like)? ([0-9].*)");
    std::smatch found;
    if (!std::regex_match(line, found, words) || !readLength(found[3].str(), job.notation.units))
        return;
    const auto what = foldCase(found[2].str());
    const bool high = what == "taller" || what == "higher" || what == "lower";
    const bool deep = what == "deeper" || what == "shallower";
    out.push_back(fmt::format("make {} {} {}", found[1].str(), found[3].str(),
                              high   ? "tall"
                              : deep ? "deep"
                                     : "wide"));
}

/// "make the wardrobe go up to the ceiling", "full height": as high as the room.
void upToTheCeiling(const std::string& line, const Project& job, std::vector<std::string>& out) {
    if (!mentions(line, {"ceiling", "full height"}))
        return;
    static const Saying words(
        "(?:make|have|get) (.+?) (?:(?:go|reach|run|come)s? (?:all the way )?(?:up )?(?:to )?the "
        "ceiling|(?:full|ceiling)[- ](?:height|high)|floor to ceiling|up to the ceiling)");
    std::smatch found;
    if (!words.is(line, found))
        return;
    const Piece* p = pieceNamed(found[1], job);
    if (p != nullptr && p->on.isFloor() && !p->kind->flat())
        out.push_back(
            fmt::format("make {} {} high", p->name, write(job.room->ceiling, job.notation)));
}

/// "a bookcase up to the ceiling on wall C": as high as the room.
void newToTheCeiling(const std::string& line, const Project& job, std::vector<std::string>& out) {
    if (!mentions(line, {"ceiling", "full height", "full-height"}))
        return;
    static const Saying behind(
        "((?:put |place |add |stand |have |fit )?)(.+?),? (?:(?:going|reaching|running|that goes) "
        ")?(?:(?:right |all the way )?up to the ceiling|floor to ceiling|floor-to-ceiling|to the "
        "ceiling)(,? .*)?");
    static const Saying before(
        "((?:put |place |add |stand |have |fit )?(?:an? |two )?)(?:floor[- ]to[- "
        "]ceiling|full[- ]height|ceiling[- ]height) ([a-z]+(?: "
        "[a-z]+)?"
        "?)((?: (?:on|in|against|along|by|beside|left|right|at|either|"
        "each|next|between|under|for|behind) .*)?)");
    std::smatch found;
    if (!before.is(line, found) && !behind.is(line, found))
        return;
    const KindPtr kind = nounIn(found[2].str(), job);
    if (!kind || kind->on != SurfaceKind::floor || kind->family != Family::storage)
        return;
    if (const Piece* there = pieceNamed(found[2], job); there != nullptr && !found[3].matched) {
        out.push_back(
            fmt::format("make {} {} high", there->name, write(job.room->ceiling, job.notation)));
        return;
    }
    // Its height comes before its place.
    const std::string thing = found[2];
    WordsReader in(thing, job);
    in.article();
    const bool first = in.kind() == kind;
    const auto named = first ? std::string(in.since(0)) : thing;
    auto sized = fmt::format(
        "{}{} {} high{}{}", found[1].str(), named, write(job.room->ceiling, job.notation),
        first && !in.done() ? " " + std::string(in.rest()) : std::string(), found[3].str());
    // Where it goes may be told by what is there.
    auto meant = meantFirst(sized, job);
    auto other = asMeant(sized, job);
    std::move(other.begin(), other.end(), std::back_inserter(meant));
    out.push_back(std::move(sized));
    std::move(meant.begin(), meant.end(), std::back_inserter(out));
}

} // namespace

std::vector<Meaning> meaningsOfSizeFirst() {
    return {newToTheCeiling};
}

std::vector<Meaning> meaningsOfSize() {
    return {upToTheCeiling, theSameSize, allAlike, largerThan, grownTo};
}

} // namespace mezzet
