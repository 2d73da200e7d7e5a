// What runs through a room: lights so far apart, a runner from one way in to another; and the seats
// that stand together, as one.
#include "edit/place.h"
#include "measure/text.h"
#include "scheme/on_wall.h"
#include "speech/meant_words.h"

#include <fmt/format.h>

#include <algorithm>
#include <cmath>

namespace mezzet {

namespace {

/// "spots in the ceiling every 120", "a light every 5 feet along the hall": in one row through the
/// middle of the room's length, or along the wall that is named; as many as there is room for.
void lightsEvery(const std::string& line, const Project& job, std::vector<std::string>& out) {
    if (!mentions(line, {" every "}))
        return;
    static const auto words = meaning("(?:(?:put|place|add|set|have|hang|install) )?(?:a "
                                      "(?:run|row|line) of |some |an? )?([a-z -]+?)"
                                      "(?: (?:in|on|from) the ceiling)? every ([0-9].*?)(?:,? "
                                      "(?:along|down|through|across|over|on|"
                                      "in) (?:the )?(?:middle of (?:the )?|cent(?:er|re) of (?:the "
                                      ")?|length of (?:the )?)?(.+?))?");
    std::smatch found;
    if (!std::regex_match(line, found, words) || !job.room->closed)
        return;
    const auto noun = foldCase(found[1].str());
    static const auto can = meaning("(?:lights?|spots?|spotlights?|downlights?|down ?lights?|cans?|"
                                    "can lights?|pot lights?|recessed lights?)");
    const KindPtr kind =
        job.library.kit->byWord(std::regex_match(noun, can) ? "recessed light" : noun);
    const auto each = readLength(found[2].str(), job.notation.units);
    if (!kind || !kind->underCeiling() || !each || *each < Length::inches(12))
        return;
    const auto wall = found[3].matched ? targetNamed(found[3], job, false) : std::nullopt;
    const auto& walls = job.room->walls;
    const bool along = wall && wall->is == Target::Is::wall;
    const Wall& w =
        along ? walls[static_cast<std::size_t>(wall->index)]
              : *std::max_element(walls.begin(), walls.end(), [](const Wall& a, const Wall& b) {
                    return a.length() < b.length();
                });
    const Box room = job.room->bounds();
    const double across =
        std::abs(w.inward().x) * room.size().x + std::abs(w.inward().y) * room.size().y;
    const int count = std::max(1, static_cast<int>(std::floor(w.length() / *each + 1e-9)));
    constexpr int most = 30;
    if (count > most)
        return;
    const auto off = along ? usualBy(job, "recessed-edge") : Length::millimetres(across / 2);
    out.push_back(count == 1
                      ? fmt::format("{} {} from wall {}, centred on wall {}", kind->name,
                                    write(off, job.notation), w.name, w.name)
                      : fmt::format("{} {}s {} from wall {}, {} apart", count, foldCase(kind->name),
                                    write(off, job.notation), w.name, write(*each, job.notation)));
}

/// The middle of a way in, on the floor; none for anything else.
std::optional<Vec2> wayIn(const std::string& words, const Project& job, const Scene& scene) {
    const auto t = targetNamed(words, job);
    if (!t || t->is == Target::Is::wall || t->is == Target::Is::room)
        return {};
    return middleOf(*t, scene);
}

/// "runner 80 wide from the front door to the living room": along the room, between the two, a
/// little short of each.
void runnerFromTo(const std::string& line, const Project& job, std::vector<std::string>& out) {
    if (!mentions(line, {" from "}) || !mentions(line, {"runner", "rug", "carpet"}))
        return;
    static const auto words = meaning("(?:(?:put|place|add|lay|roll|run|have) )?(?:an? |the "
                                      ")?((?:[a-z]+ )?(?:runner|rug|carpet))(?:,? "
                                      "([0-9][^,a-z]*?(?:cm|mm|m|in|inches|ft|feet)?)(?: "
                                      "wide)?)?,? (?:that (?:runs|goes) )?from (.+?) "
                                      "(?:all the way |right )?to (.+)");
    std::smatch found;
    const auto scene = sceneOf(job);
    if (!scene || !std::regex_match(line, found, words))
        return;
    const KindPtr kind = job.library.kit->byWord(found[1].str());
    const auto from = wayIn(found[3].str(), job, **scene);
    const auto to = wayIn(found[4].str(), job, **scene);
    const auto wide = found[2].matched ? readLength(found[2].str(), job.notation.units)
                      : kind ? Result<Length>(std::min(kind->size.width, kind->size.depth))
                             : Result<Length>(Problem{});
    if (!kind || !kind->flat() || !from || !to || !wide)
        return;
    const Vec2 way = *to - *from;
    const bool acrossPage = std::abs(way.x) > std::abs(way.y);
    const double shortBy = job.library.book->habit("runner-short").mm();
    const double run = (acrossPage ? std::abs(way.x) : std::abs(way.y)) - 2 * shortBy;
    if (run < wide->mm())
        return;
    const double step = isMetric(job.notation.units) ? 10 : 25.4; // whole centimetres, inches
    Vec2 at = (*from + *to) / 2;
    // Between two in one wall it lies before that.
    for (const Wall& w : job.room->walls)
        if (const double off = dot(at - w.start, w.inward());
            off < wide->mm() / 2 && std::abs(dot(way, w.along())) > 0.99 * norm(way))
            at = at + w.inward() * (wide->mm() / 2 - off);
    const auto size = [&](double mm) { return write(Length::millimetres(mm), job.notation); };
    out.push_back(fmt::format("add {} {} x {} at {}, {}, turned {}", kind->name, size(wide->mm()),
                              size(std::floor(run / step) * step), size(at.x), size(at.y),
                              acrossPage ? 90 : 0));
}

/// "shift the seating group 8 toward wall A": the sofas and chairs one sits in to talk, what stands
/// between and beside them, and the rugs under them.
void seatingGroup(const std::string& line, const Project& job, std::vector<std::string>& out) {
    static const Saying words(
        "(.+?) (?:the |this |my )?(?:whole |entire )?(?:seating|conversation|lounge) (?:area|"
        "group|arrangement|grouping|set)\\b(.*)");
    // Where no pictures hang as a group that it could be.
    static const Saying whole(
        "(.+?) the (?:whole|entire) (?:group|arrangement|grouping|set-?up)\\b(.*)");
    std::smatch found;
    const auto isGroup = [](const Piece& p) { return p.isGroup(); };
    if (!words.is(line, found) &&
        (std::any_of(job.scheme().pieces.begin(), job.scheme().pieces.end(), isGroup) ||
         !whole.is(line, found)))
        return;
    std::vector<std::string> names;
    const auto& pieces = job.scheme().pieces;
    const auto sits = [](const Piece& p) {
        return p.kind->role == Role::sofa || p.kind->role == Role::armchair;
    };
    if (std::none_of(pieces.begin(), pieces.end(), sits))
        return;
    for (const Piece& p : pieces) {
        const bool under =
            p.kind->flat() && std::any_of(p.ties.begin(), p.ties.end(), [&](const Tie& t) {
                return std::any_of(t.group.begin(), t.group.end(), [&](int id) {
                    const Piece* over = job.scheme().byId(id);
                    return over != nullptr && sits(*over);
                });
            });
        if (p.on.isFloor() && (sits(p) || under || p.kind->role == Role::perch ||
                               p.kind->role == Role::lowTable || p.kind->role == Role::sideTable))
            names.push_back(p.name);
    }
    if (names.empty())
        return;
    const auto last = names.back();
    names.pop_back();
    out.push_back(fmt::format("{} {}{}{}{}", found[1].str(), fmt::join(names, ", "),
                              names.empty() ? "" : " and ", last, found[2].str()));
}

/// "the couch" of one that is in the room: it changes places, and nothing new comes.
bool isThere(const std::string& words, const Project& job) {
    static const auto the = meaning("(?:the|my|our|that|those|these|this) .+");
    return std::regex_match(words, the) && !piecesNamed(words, job).empty();
}

/// "swap the stools for chairs": each by one.
void eachByOne(const std::string& line, const Project& job, std::vector<std::string>& out) {
    static const Saying words(
        "(?:replace|swap|change|exchange|switch) (?:out )?(.+?) (?:with|by|for|"
        "to|into) (?:some )?([a-z -]+s)");
    std::smatch found;
    if (!words.is(line, found))
        return;
    const auto all = piecesNamed(found[1], job);
    const auto noun = plainWord(found[2].str());
    if (all.size() < 2 || noun == foldCase(found[2].str()) || isThere(found[2], job))
        return;
    std::vector<std::string> lines;
    for (const Piece* p : all)
        lines.push_back(fmt::format("replace {} by a {}", p->name, noun));
    out.push_back(fmt::format("{}", fmt::join(lines, "; then ")));
}

/// "swap the armchairs for a loveseat", of two: the first of them by that, the others taken out.
void severalByOne(const std::string& line, const Project& job, std::vector<std::string>& out) {
    static const Saying words("(?:replace|swap|change|exchange) (?!each |every )(.+?) "
                              "(?:with|by|for|to|into) ((?:an? |one "
                              ")?)(?!pair |set |row |group |some )([a-z -]+)");
    std::smatch found;
    if (!words.is(line, found))
        return;
    const auto all = piecesNamed(found[1], job);
    const auto noun = foldCase(found[3].str());
    // Without an article a word for several is several.
    if (all.size() < 2 || (found[2].length() == 0 && plainWord(noun) != noun) || isThere(noun, job))
        return;
    std::string gone;
    for (std::size_t i = 1; i < all.size(); ++i)
        gone += fmt::format("{}{}",
                            i == 1                ? ""
                            : i + 1 == all.size() ? " and "
                                                  : ", ",
                            all[i]->name);
    out.push_back(fmt::format("remove {}; then replace {} by {}", gone, all[0]->name,
                              found[2].str() + found[3].str()));
}

} // namespace

std::vector<Meaning> meaningsOfRuns() {
    return {lightsEvery, runnerFromTo, seatingGroup, eachByOne, severalByOne};
}

} // namespace mezzet
