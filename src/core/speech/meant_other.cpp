// "The other side", "the other window"; seats at a counter; and what is beside the same thing,
// spaced.
#include "edit/arrange.h"
#include "edit/place.h"
#include "edit/subjects.h"
#include "edit/words_reader.h"
#include "geometry/gap.h"
#include "measure/text.h"
#include "scheme/on_wall.h"
#include "speech/meant_words.h"

#include <fmt/format.h>

#include <algorithm>
#include <cmath>

namespace mezzet {

namespace {

/// "move the desk to the other window", of two: the one it is farther from.
void toTheOtherOpening(const std::string& line, const Project& job, std::vector<std::string>& out) {
    static const Saying words(
        "(?:move|put|shift|bring|slide|take) (.+?) (?:over |across )?(to|under|at|"
        "by|in front of|beside|next to) the other (window|door)(.*)");
    std::smatch found;
    if (!words.is(line, found))
        return;
    const auto it = standsNamed(found[1], job);
    const auto kind = foldCase(found[3].str()) == "door" ? OpeningKind::door : OpeningKind::window;
    std::vector<const Opening*> both;
    for (const Opening& o : job.room->openings)
        if (o.kind == kind)
            both.push_back(&o);
    if (!it || both.size() != 2)
        return;
    const auto far = [&](const Opening* o) {
        return norm(middleOf(*job.room, *o) - it.there->pose.at);
    };
    const Opening* other = far(both[0]) > far(both[1]) ? both[0] : both[1];
    const Opening* own = other == both[0] ? both[1] : both[0];
    const bool under = std::any_of(it.piece->ties.begin(), it.piece->ties.end(), [&](const Tie& t) {
        return t.kind == Tie::Kind::centredOn && t.of == targetOf(*own);
    });
    const auto how = foldCase(found[2].str());
    out.push_back(fmt::format("{} {} {}{}", it.piece->name,
                              how != "to" && how != "at"             ? how
                              : under && kind == OpeningKind::window ? "under"
                                                                     : "by",
                              other->name(), found[4].str()));
}

/// What is worked at, alone; null for none, or several.
const Piece* onlyCounter(const Project& job) {
    const Piece* out = nullptr;
    for (const Piece& p : job.scheme().pieces)
        if (p.kind->workedAt && p.on.isFloor()) {
            if (out != nullptr)
                return nullptr;
            out = &p;
        }
    return out;
}

/// "32 above the counter", where the one thing that is worked at is called otherwise.
void theCounter(const std::string& line, const Project& job, std::vector<std::string>& out) {
    static const auto words = meaning("\\bthe (?:kitchen )?(?:counter(?: ?top)?|work ?top|work "
                                      "surface|bench ?top)\\b");
    if (!mentions(line, {"counter", "work", "bench"}))
        return;
    const Piece* counter = onlyCounter(job);
    if (counter == nullptr || !std::regex_search(line, words) ||
        !piecesNamed("the counter", job).empty())
        return;
    out.push_back(std::regex_replace(line, words, counter->name));
}

/// The stool of the kit that one sits on at a top so high as far under it as on a chair at a table;
/// null for a kit without.
KindPtr stoolFor(Length top, const Project& job) {
    const Kit& kit = *job.library.kit;
    const KindPtr table = kit.byWord("dining table");
    const KindPtr chair = kit.byWord("dining chair");
    if (!table || !chair || !chair->heights.seat)
        return {};
    const Length under = table->heights.top.value_or(table->size.height) - *chair->heights.seat;
    KindPtr best;
    double least = 1e300;
    for (const char* word : {"counter stool", "bar stool"})
        if (const KindPtr k = kit.byWord(word); k && k->heights.seat)
            if (const double off = std::abs((top - under - *k->heights.seat).mm()); off < least) {
                least = off;
                best = k;
            }
    return best;
}

/// "four stools at the island": as high as that asks for.
void stoolsAtACounter(const std::string& line, const Project& job, std::vector<std::string>& out) {
    static const Saying words(
        "(.*?)\\bstool(s?)\\b (.*\\b(?:at|along|around|round|by|on|side of|front "
        "of|behind|beside|under)\\b (?:.* )?(?:the |an? )?)(island|kitchen "
        "island|counter|breakfast bar|bar)\\b(.*)");
    std::smatch found;
    if (!words.is(line, found))
        return;
    static const auto told = meaning(".*\\b(?:bar|counter|kitchen|high|step|foot|piano|the|those|"
                                     "these|my|both|all) ?");
    const auto before = found[1].str();
    const Piece* counter = onlyCounter(job);
    if (counter == nullptr || std::regex_match(before, told))
        return;
    const KindPtr stool = stoolFor(counter->top(), job);
    if (stool)
        out.push_back(fmt::format("{}{}{} {}{}{}", before, foldCase(stool->name), found[2].str(),
                                  found[3].str(), found[4].str(), found[5].str()));
}

/// "four stools on the far side of the island": the one with more room before it, before or behind.
void onTheFarSide(const std::string& line, const Project& job, std::vector<std::string>& out) {
    static const Saying words(
        "(.*?)((?:\\b(?:bar |counter )?stool|\\bchair|\\bbench|[a-z]+)s?) (?:on|"
        "along|at|down) the (far|other|room|outer|open|near|wall|inner) side "
        "of (?:the |my )?(.+?)((?:,| with) .+)?");
    std::smatch found;
    if (!words.is(line, found))
        return;
    const auto it = standsNamed(found[4], job);
    std::string thing = found[2];
    if (!it || !(it.piece->kind->family == Family::table || it.piece->kind->workedAt) ||
        !piecesNamed(found[1].str() + thing, job).empty())
        return;
    const auto which = foldCase(found[3].str());
    const auto room = [&](double sign) {
        return wallToward(*job.room, it.there->pose.at, it.there->pose.front() * sign).off;
    };
    const bool far = which != "near" && which != "wall" && which != "inner";
    const bool front = (room(1) > room(-1)) == far;
    static const auto plain = meaning("stools?");
    if (it.piece->kind->workedAt && std::regex_match(thing, plain))
        if (const KindPtr stool = stoolFor(it.piece->top(), job))
            thing = foldCase(stool->name) + (thing.ends_with('s') ? "s" : "");
    out.push_back(fmt::format("{}{} {} {}{}", found[1].str(), thing,
                              front ? "in front of" : "behind", it.piece->name, found[5].str()));
}

/// "three stools at the counter, 2 feet apart", of one that is built in: before it, looking at it,
/// and shared out along it.
void stoolsAtABuiltIn(const std::string& line, const Project& job, std::vector<std::string>& out) {
    static const Saying words(
        "(?:(?:put|place|add|set|have) )?(?:(an?|one|two|a pair of|three|four|five|six|[2-6]) "
        ")?((?:bar|counter|kitchen) )?stool(s?) (?:at|along|in front of|before|by|under|to) (?:the "
        "|my "
        ")?(?:kitchen )?(?:counter(?:top)?|work ?top|breakfast bar|bar|built-in|base units?)(?:,? "
        "(?:spaced )?([0-9].*?) (?:apart|between(?: them)?)( on cent(?:er|re)s?| cent(?:er|re) to "
        "cent(?:er|re))?)?");
    std::smatch found;
    if (onlyCounter(job) != nullptr || !words.is(line, found) ||
        (found[3].length() > 0 && !found[1].matched)) // how many is asked
        return;
    const Fixture* counter = nullptr;
    for (const Fixture& f : job.room->fixtures)
        if (f.kind == FixtureKind::builtIn && f.depth > Length{}) {
            if (counter != nullptr)
                return;
            counter = &f;
        }
    const KindPtr kits = job.library.kit->byId("kitchen-counter");
    if (counter == nullptr || !kits)
        return;
    // Of no height that is told it is as high as the kit's.
    const Length high = counter->height > Length{} ? counter->height
                                                   : kits->heights.top.value_or(kits->size.height);
    KindPtr stool =
        found[2].matched ? job.library.kit->byWord(foldCase(found[2].str()) + "stool") : nullptr;
    if (!stool)
        stool = stoolFor(high, job);
    if (!stool)
        return;
    const auto many = found[1].str();
    WordsReader counted(many, job);
    const int count = std::max(1, readCount(counted));
    // Each has the room of a diner, unless it is said; from middle to middle where they would reach
    // past its ends else.
    Length step = usualBy(job, "diner-width");
    if (const auto apart = readLength(found[4].str(), job.notation.units)) {
        const bool fits = *apart * (count - 1) + stool->size.width * count <= counter->width;
        step = found[5].matched || !fits ? *apart : *apart + stool->size.width;
    }
    const auto size = [&](Length l) { return write(l, job.notation); };
    const auto name = counter->name();
    std::vector<std::string> lines;
    for (int i = 0; i < count; ++i) {
        const Length off = step * (i - (count - 1) / 2.0);
        lines.push_back(fmt::format("add a {} {} from wall {}, centred on {}{}, facing {}",
                                    foldCase(stool->name), size(counter->depth),
                                    wallName(counter->wall), name,
                                    abs(off) < Length::millimetres(0.5) ? std::string()
                                    : off < Length{} ? fmt::format(", {} left", size(-off))
                                                     : fmt::format(", {} right", size(off)),
                                    name));
    }
    out.push_back(fmt::format("{}", fmt::join(lines, "; then ")));
}

/// "add another stool", where those there are of one kind that is called so in the end: one of
/// that.
void anotherOfThere(const std::string& line, const Project& job, std::vector<std::string>& out) {
    static const Saying words(
        "((?:(?:put|place|add|have|get) )?)(?:another|one more|a second|a third|"
        "an extra) ([a-z]+(?: [a-z]+)?)((?:,| on| at| in| by| beside| next| "
        "under| behind| near| left| right| to)\\b.*)?");
    std::smatch found;
    if (!words.is(line, found))
        return;
    const auto noun = plainWord(found[2].str());
    const KindPtr kind = job.library.kit->byWord(noun);
    const Piece* like = nullptr;
    for (const Piece& p : job.scheme().pieces) {
        if (p.kind == kind || (!p.name.empty() && plainWord(p.name) == noun))
            return; // it is called so itself
        if (plainWord(p.kind->name).ends_with(" " + noun)) {
            if (like != nullptr && like->kind != p.kind)
                return;
            like = &p;
        }
    }
    if (kind && like != nullptr)
        out.push_back(fmt::format("{}another {}{}", found[1].str(), foldCase(like->kind->name),
                                  found[3].str()));
}

/// Of several that are named, the one nearest to a piece on the floor.
const Piece* nearestOfThem(const std::vector<const Piece*>& all, const Piece& to,
                           const Scene& scene) {
    const Placed* own = scene.fromAbove(to.id);
    const Piece* best = nullptr;
    double least = 1e300;
    for (const Piece* p : all)
        if (const Placed* there = scene.fromAbove(p->id);
            own != nullptr && there != nullptr && p != &to)
            if (const double gap = gapBetween(own->shape, there->shape).clear().mm(); gap < least) {
                least = gap;
                best = p;
            }
    return best;
}

/// "desk 60 from the bookcases", "how far is it between the desk and the bookcases?", which stand
/// in a row: the nearest of them.
void fromSeveral(const std::string& line, const Project& job, std::vector<std::string>& out) {
    static const Saying away(
        "((?:(?:put|place|move|set|stand) )?)(.+?),? ([0-9].*?) (from|off|away from) "
        "(the [a-z -]+s)(,.*)?");
    static const Saying howFar(
        "(how far(?: away)? (?:is|are) )(.+?) (?:away )?(from) (the [a-z -]+s)([?]?)");
    static const Saying between("(.*\\b(?:between|from) )(.+?) (and|to) (the [a-z -]+s)([?]?)");
    std::smatch found;
    const auto scene = sceneOf(job);
    if (!scene)
        return;
    if (away.is(line, found)) {
        const Piece* own = pieceNamed(found[2], job);
        const auto all = piecesNamed(found[5], job);
        const Piece* near =
            own != nullptr && all.size() > 1 ? nearestOfThem(all, *own, **scene) : nullptr;
        if (near != nullptr)
            out.push_back(fmt::format("{}{} {} {} {}{}", found[1].str(), own->name, found[3].str(),
                                      found[4].str(), near->name, found[6].str()));
    } else if (between.is(line, found) || howFar.is(line, found)) {
        const Piece* own = pieceNamed(found[2], job);
        const auto all = piecesNamed(found[4], job);
        const Piece* near =
            own != nullptr && all.size() > 1 ? nearestOfThem(all, *own, **scene) : nullptr;
        if (near != nullptr)
            out.push_back(fmt::format("{}{} {} {}{}", found[1].str(), own->name, found[3].str(),
                                      near->name, found[5].str()));
    }
}

/// Whether a length may be how wide such a kind is: from half as wide as it usually comes to twice.
bool isAWidthOf(const Kind& kind, Length l) {
    return l >= kind.size.width / 2 && l <= kind.size.width * 2;
}

/// "console under the window, 60 inches": so wide, where that is a width such a thing has.
void widthAtTheEnd(const std::string& line, const Project& job, std::vector<std::string>& out) {
    static const Saying words(
        "((?:(?:put|place|add|hang|set|have) )?)(?:an? |the )?([^0-9]+), ([0-9][^,x]*)");
    std::smatch found;
    if (!words.is(line, found))
        return;
    const KindPtr kind = nounIn(found[2].str(), job);
    const auto wide = readLength(found[3].str(), job.notation.units);
    if (kind && wide && isAWidthOf(*kind, *wide))
        out.push_back(
            fmt::format("{}a {} wide {}", found[1].str(), found[3].str(), found[2].str()));
}

/// "round coffee table 90 in front of the sofa", of a kind that is not there yet: a new one, so
/// large where that is a size such a thing has.
void outlinedOne(const std::string& line, const Project& job, std::vector<std::string>& out) {
    static const Saying words(
        "((?:(?:put|place|add|set|stand|have) )?)(an? )?((?:round|oval|square) [a-z]+(?: [a-z]+)?) "
        "([0-9][^,]*?)(?: across| in diameter| diameter| wide)?((?:,| in front of| before| "
        "behind| "
        "beside| next to| by| under| between| on| at| near| left of| right of) .*)?");
    std::smatch found;
    if (!words.is(line, found))
        return;
    const KindPtr kind = job.library.kit->byWord(found[3].str());
    // "84 x 44"
    static const auto second = meaning(" ?(?:x|by|\xc3\x97) ?[0-9].*$");
    const auto first = std::regex_replace(found[4].str(), second, "");
    const auto wide = readLength(first, job.notation.units);
    const auto& pieces = job.scheme().pieces;
    // "round rug 6 ft in front of the fire" says how far.
    if (!kind || kind->flat() || !wide || !isAWidthOf(*kind, *wide) ||
        std::any_of(pieces.begin(), pieces.end(), [&](const Piece& p) { return p.kind == kind; }))
        return;
    // With no article and no place it is for the one table of that sort.
    const Piece* other = nullptr;
    int alike = 0;
    for (const Piece& p : pieces)
        if (p.kind->role == kind->role && kind->role == Role::diningTable) {
            other = &p;
            ++alike;
        }
    if (alike == 1 && found[1].str().empty() && !found[2].matched && !found[5].matched)
        out.push_back(
            fmt::format("replace {} by a {} {}", other->name, found[4].str(), found[3].str()));
    out.push_back(
        fmt::format("{}a {} {}{}", found[1].str(), found[4].str(), found[3].str(), found[5].str()));
}

/// "bookcases 30 deep", where there are several: of those there are.
void theirSizes(const std::string& line, const Project& job, std::vector<std::string>& out) {
    static const Saying words(
        "(?:the )?([a-z -]+s) ([0-9][^,a-z]*?(?: ?(?:cm|mm|m|inches|inch|in|feet|foot|ft))?(?: "
        "(?:deep|wide|high|tall|long)| ?x ?[0-9][^,]*))");
    std::smatch found;
    if (words.is(line, found) && piecesNamed("the " + found[1].str(), job).size() > 1)
        out.push_back(fmt::format("make the {} {}", found[1].str(), found[2].str()));
}

} // namespace

std::vector<Meaning> meaningsOfTheOther() {
    return {toTheOtherOpening, theCounter, fromSeveral, widthAtTheEnd};
}

std::vector<Meaning> meaningsOfTheOtherFirst() {
    return {stoolsAtABuiltIn, onTheFarSide, stoolsAtACounter,
            anotherOfThere,   theirSizes,   outlinedOne};
}

} // namespace mezzet
