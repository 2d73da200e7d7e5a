// Chairs, benches and rugs at tables by where they stand; which way a table or a desk lies.
#include "edit/arrange.h"
#include "edit/subjects.h"
#include "edit/words_reader.h"
#include "measure/text.h"
#include "scheme/on_wall.h"
#include "scheme/words.h"
#include "speech/meant_words.h"

#include <fmt/format.h>

#include <algorithm>
#include <cmath>

namespace mezzet {

namespace {

/// The table that words name; "the table" is the one that is sat in to. Null for none.
const Piece* tableTold(const std::string& words, const Project& job) {
    if (const Piece* one = pieceNamed(words, job))
        return one;
    static const auto any = meaning("(?:the |my |our )?(?:dining |supper |kitchen )?table");
    return std::regex_match(words, any) ? onlyDiningTable(job) : nullptr;
}

/// The chairs at a table's places.
std::vector<const Piece*> chairsAt(const Piece& table, const Project& job) {
    std::vector<const Piece*> out;
    for (const Piece& p : job.scheme().pieces)
        if (const Tie* at = tieToTable(p, job.scheme());
            at != nullptr && at->kind == Tie::Kind::atPlace && at->of == pieceTarget(table.id))
            out.push_back(&p);
    return out;
}

std::string namesOf(const std::vector<const Piece*>& pieces) {
    std::vector<std::string> names;
    for (const Piece* p : pieces)
        names.push_back(p->name);
    return fmt::format("{}", fmt::join(names, ", "));
}

/// The chairs that stand on each side of a table: before it, behind it, left and right of it.
struct Sides {
    std::vector<const Piece*> front, behind, left, right;
};
Sides sidesOf(const Piece& table, const Project& job, const Scene& scene) {
    Sides out;
    const Placed* there = scene.fromAbove(table.id);
    if (there == nullptr)
        return out;
    for (const Piece* c : chairsAt(table, job)) {
        const Placed* chair = scene.fromAbove(c->id);
        if (chair == nullptr)
            continue;
        const Vec2 at = there->pose.toLocal(chair->pose.at);
        const double across = std::abs(at.x) * table.size.depth.mm();
        const double along = std::abs(at.y) * table.size.width.mm();
        auto& side = across > along ? (at.x > 0 ? out.right : out.left)
                                    : (at.y > 0 ? out.front : out.behind);
        side.push_back(c);
    }
    return out;
}

/// The chairs at a table's short ends.
std::vector<const Piece*> atEndsOf(const Piece& table, const Project& job) {
    const auto ends = endChairs(job.scheme());
    auto out = chairsAt(table, job);
    std::erase_if(out, [&](const Piece* c) {
        return std::find(ends.begin(), ends.end(), c->id) == ends.end();
    });
    return out;
}

/// The side of a table that is said, and the chairs there.
struct SideSaid {
    std::vector<const Piece*> chairs;
    const char* place = nullptr; ///< "in front of"; null for no side
};

/// "left", "front", or what is in the room there: "window", the side that is nearest to it.
SideSaid sideSaid(const std::string& which, const Piece& table, const Project& job,
                  const Scene& scene) {
    const Sides sides = sidesOf(table, job, scene);
    const Placed* there = scene.fromAbove(table.id);
    const SideSaid front{sides.front, "in front of"};
    const SideSaid behind{sides.behind, "behind"};
    const SideSaid left{sides.left, "left of"};
    const SideSaid right{sides.right, "right of"};
    if (which == "left" || which == "right")
        return which == "left" ? left : right;
    if (which == "front" || which == "back")
        return which == "front" ? front : behind;
    auto t = targetNamed("the " + which, job, false);
    // Of several windows, where all are in one wall.
    if (!t && which == "window")
        if (const auto wall = onlyWallOf(OpeningKind::window, *job.room))
            t = wallTarget(*wall);
    if (!t || there == nullptr)
        return {};
    const Vec2 to = middleOf(*t, scene) - there->pose.at;
    const double ahead = dot(to, there->pose.front());
    const double aside = dot(to, there->pose.right());
    if (std::abs(ahead) > std::abs(aside))
        return ahead > 0 ? front : behind;
    return aside > 0 ? right : left;
}

/// "remove the chair at the head of the table", "take away the end chairs": those at its short
/// sides, of a table that is longer than it is deep.
void chairsAtEnds(const std::string& line, const Project& job, std::vector<std::string>& out) {
    if (!mentions(line, {"chair"}))
        return;
    static const auto words = meaning(
        "(remove|delete|take away|take out|get rid of|lose|move|push in|pull out) (?:the |all the |"
        "both )?(?:dining )?chairs? (?:at|on|by) (?:the |both |each |either "
        ")(?:head|heads|end|ends|"
        "foot|short sides?)(?: and (?:the )?foot)?(?: of (.+))?");
    static const auto side = meaning(
        "(remove|delete|take away|take out|get rid of|lose) (?:the |all the )?(?:dining )?chairs? "
        "(?:on|at|along|by) (?:the |its )?(front|back|window|wall|left|right|door|far|near)(?:[- "
        "]side)? ?(?:of (.+))?");
    std::smatch found;
    const bool ends = std::regex_match(line, found, words);
    if (!ends && !std::regex_match(line, found, side))
        return;
    const auto told = ends ? found[2] : found[3];
    const Piece* table = tableTold(told.matched ? told.str() : "the table", job);
    const auto scene = sceneOf(job);
    if (table == nullptr || !scene)
        return;
    const auto chosen = ends ? atEndsOf(*table, job)
                             : sideSaid(foldCase(found[2].str()), *table, job, **scene).chairs;
    if (!chosen.empty())
        out.push_back(fmt::format("{} {}", found[1].str(), namesOf(chosen)));
}

/// "use carvers at the two ends": in place of the chairs that stand there. "put chairs at the
/// ends": one more at each.
void chairsOfEnds(const std::string& line, const Project& job, std::vector<std::string>& out) {
    if (!mentions(line, {"end", "head"}))
        return;
    static const auto words = meaning("(?:(?:use|put|place|add|have|set|try) )?(?:some |extra "
                                      "|more |two more |two |2 |a pair of |a )?"
                                      "(?!(?:remove|delete|take|clear|move|pull|push|lose|get|no) )"
                                      "(.+?)s? (?:at|on|for) (?:the |both |each |either )(?:two "
                                      "|both )?(?:of the )?(?:ends?|heads?)"
                                      "(?: and foot)?(?: of (.+))?");
    static const auto any = meaning("(?:dining )?chair");
    std::smatch found;
    if (!std::regex_match(line, found, words))
        return;
    const Piece* table = tableTold(found[2].matched ? found[2].str() : "the table", job);
    if (table == nullptr || !table->kind->isSatInTo())
        return;
    const bool usual = std::regex_match(found[1].first, found[1].second, any);
    const KindPtr kind = usual ? usualChair(job, table->id) : nounIn(found[1].str(), job);
    if (!kind || !kind->isSeat())
        return;
    const auto there = atEndsOf(*table, job);
    if (usual && there.size() > 1) { // they are there already
        out.push_back(
            fmt::format("move {} 0 left; then move {} 0 left", there[0]->name, there[1]->name));
        return;
    }
    const auto gone = usual ? std::vector<const Piece*>() : there;
    std::string all;
    for (const Piece* p : gone)
        all += fmt::format("{}replace {} by a {}", all.empty() ? "" : "; then ", p->name,
                           foldCase(kind->name));
    out.push_back(gone.empty()
                      ? fmt::format("two {}s at each end of {}", foldCase(kind->name), table->name)
                      : all);
}

/// "make the table longer so ten fit": as long as so many need, and seated with them.
void longEnoughFor(const std::string& line, const Project& job, std::vector<std::string>& out) {
    if (!mentions(line, {"table", "longer", "bigger", "larger"}))
        return;
    static const Saying words("(?:make|extend|lengthen) (.+?)(?: "
                              "(?:longer|bigger|larger|long enough|big enough|large enough|"
                              "wider))? (?:so (?:that )?|for |to (?:fit|seat|take|hold) "
                              ")(one|two|three|four|five|six|seven|"
                              "eight|nine|ten|twelve|[0-9]+)(?: people| guests| of us| "
                              "diners)?(?: fit| can sit| sit| can fit| "
                              "can be seated)?");
    std::smatch found;
    if (!words.is(line, found))
        return;
    const Piece* table = tableTold(found[1], job);
    int count = 0;
    const std::string number = found[2];
    if (table == nullptr || !table->kind->isSatInTo() ||
        !WordsReader(number, job).takeCount(count) || count < 1 || count > mostAtTable)
        return;
    Piece wanted = *table;
    enlargeFor(wanted, count, job);
    const auto seat = fmt::format("seat {} with {}", table->name, count);
    out.push_back(wanted.size == table->size
                      ? seat
                      : fmt::format("make {} {} wide; then {}", table->name,
                                    write(wanted.size.width, job.notation), seat));
}

/// "a rug big enough for the table and chairs": as far past it as chairs are drawn back.
void rugForTable(const std::string& line, const Project& job, std::vector<std::string>& out) {
    if (!mentions(line, {"rug", "carpet"}))
        return;
    static const auto words = meaning("((?:put |add |place |lay )?(?:an? )?(?:rug|carpet)) (?:that "
                                      "is |that's )?(?:big|large|wide) "
                                      "enough (?:for|to hold|to go under|to fit under|to take) "
                                      "(?:the |my )?(.+?)(?:,? and (?:its |the "
                                      "|all the |all its )?chairs)?");
    static const auto under =
        meaning("((?:put |add |place |lay )?(?:an? )?(?:rug|carpet)) under "
                "(?:the |my )?(.+?),? (?:that |so (?:that "
                ")?|(?:that is |that's )?(?:big|large|wide) enough (?:that |so "
                ")?)(?:the |all the |its )?chairs "
                "(?:stay|stand|are|sit|remain|can stay) "
                "on(?: it)?.*");
    static const auto fits = meaning(
        "((?:put |add |place |lay )?(?:an? )?(?:rug|carpet)) under (?:the |my )?(.+?),? (?:that |"
        "which )?(?:(?:is |'s )?(?:big|large|wide) enough (?:for|to (?:fit|take|hold|go under))|"
        "(?:fits|takes|holds|to (?:fit|take|hold))) (?:the |all the |its |all its )?chairs(?: too|"
        " as well)?");
    std::smatch found;
    if (!std::regex_match(line, found, words) && !std::regex_match(line, found, under) &&
        !std::regex_match(line, found, fits))
        return;
    const Piece* table = tableTold(found[2], job);
    if (table == nullptr || table->kind->isSeat())
        return;
    const Length past = job.library.book->habit("rug-past-table") * 2;
    out.push_back(fmt::format("{} {} x {} under {}", found[1].str(),
                              write(table->size.width + past, job.notation),
                              write(table->size.depth + past, job.notation), table->name));
}

/// "a bench on the window side of the table", "replace the chairs on that side with a bench": the
/// chairs there taken away.
void benchOnASide(const std::string& line, const Project& job, std::vector<std::string>& out) {
    if (!mentions(line, {"bench"}))
        return;
    static const auto onSide = meaning("(?:(?:put|place|add|set|have) )?((?:an? )?[a-z0-9 "
                                       "-]*?\\bbench\\b[^,]*?) (?:instead of the "
                                       "(?:dining )?chairs )?(?:on|at|along) the "
                                       "(front|back|window|left|right|door|fireplace|fire)"
                                       "(?:[- ](?:hand )?side)(?: of (.+?))?(?: instead(?: of "
                                       "(?:the )?(?:dining )?chairs)?)?");
    static const auto insteadThere = meaning(
        "(?:replace|swap|change|exchange) the (?:dining )?chairs (?:on|at|along) the (front|back|"
        "window|left|right|door|fireplace|fire)(?:[- ](?:hand )?side)(?: of (.+?))? (?:with|by|"
        "for|to) (an? .*\\bbench\\b.*)");
    std::smatch found;
    const bool first = std::regex_match(line, found, onSide);
    if (!first && !std::regex_match(line, found, insteadThere))
        return;
    const auto told = first ? found[3] : found[2];
    const Piece* table = tableTold(told.matched ? told.str() : "the table", job);
    const auto scene = sceneOf(job);
    if (table == nullptr || !scene || !table->kind->isSatInTo())
        return;
    const auto side =
        sideSaid(foldCase(first ? found[2].str() : found[1].str()), *table, job, **scene);
    if (side.place == nullptr)
        return;
    const auto put = fmt::format("{} {} {}, facing {}", first ? found[1].str() : found[3].str(),
                                 side.place, table->name, table->name);
    out.push_back(
        side.chairs.empty() ? put : fmt::format("remove {}; then {}", namesOf(side.chairs), put));
}

/// "replace two chairs with a bench", "a bench on one side of the table": along a long side, the
/// chairs there taken away where they are said to be, a side without any where none are.
void benchAtTable(const std::string& line, const Project& job, std::vector<std::string>& out) {
    if (!mentions(line, {"bench"}))
        return;
    static const auto instead = meaning("(?:replace|swap|change|exchange) (?:the |my "
                                        ")?(?:two|2|both|a pair of|some|three|3) (?:of the "
                                        ")?(?:dining )?chairs?(?: (?:on|at|along) (?:one|a|the) "
                                        "(?:long )?side)?(?: (?:of|at) (.+?))? "
                                        "(?:with|by|for|to) (an? .*\\bbench\\b.*)");
    static const auto beside = meaning(
        "(?:(?:put|place|add|set|have) )?((?:an? )?.*\\bbench\\b.*?) (?:on|at|along) (?:one|a|the "
        "other|the free|either|the long|one long) side(?: of (.+))?");
    std::smatch found;
    const bool swapped = std::regex_match(line, found, instead);
    if (!swapped && !std::regex_match(line, found, beside))
        return;
    const auto told = swapped ? found[1] : found[2];
    const Piece* table = tableTold(told.matched ? told.str() : "the table", job);
    const auto scene = sceneOf(job);
    if (table == nullptr || !scene)
        return;
    const Sides sides = sidesOf(*table, job, **scene);
    const bool wide = table->size.width >= table->size.depth;
    const auto& first = wide ? sides.front : sides.left;
    const auto& other = wide ? sides.behind : sides.right;
    const char* place = wide ? "in front of" : "left of";
    const char* across = wide ? "behind" : "right of";
    const std::string bench = swapped ? found[2].str() : found[1].str();
    const auto put = [&](const char* where) {
        return fmt::format("{} {} {}, facing {}", bench, where, table->name, table->name);
    };
    if (!swapped) {
        if (first.empty() || other.empty()) {
            out.push_back(put(first.empty() ? place : across));
            return;
        }
    } // else in place of the chairs on one of them
    // The side that has as many; of two alike the one before it.
    const bool before = first.size() >= other.size();
    const auto& gone = before ? first : other;
    if (!gone.empty())
        out.push_back(
            fmt::format("remove {}; then {}", namesOf(gone), put(before ? place : across)));
}

/// "replace the chairs with benches", "benches on both long sides of the table": one along each
/// long side, in the place of the chairs there, or of all.
void benchesAlongIt(const std::string& line, const Project& job, std::vector<std::string>& out) {
    if (!mentions(line, {"bench"}))
        return;
    static const auto instead =
        meaning("(?:replace|swap|change|exchange) (?:all )?(?:of )?(?:the |my )?(?:dining )?chairs "
                "(?:with|by|for|to) (?:(?:two|2|a pair of) )?((?:[a-z]+ )?)benches");
    static const auto along = meaning(
        "(?:(?:put|place|add|set|have) )?(?:an? |two |2 |a pair of )?((?:[a-z]+ )?)bench(?:es)? "
        "(?:on|at|along|down) (?:both|each|either)(?: long)? sides?(?: of (.+?))?(?: instead(?: of "
        "(?:the )?(?:dining )?chairs)?)?");
    std::smatch found;
    const bool all = std::regex_match(line, found, instead);
    if (!all && !std::regex_match(line, found, along))
        return;
    const bool named = !all && found[2].matched;
    const Piece* table = tableTold(named ? found[2].str() : "the table", job);
    const auto scene = sceneOf(job);
    if (table == nullptr || !scene || table->kind->role != Role::diningTable)
        return;
    const Sides sides = sidesOf(*table, job, **scene);
    const bool wide = table->size.width >= table->size.depth;
    auto gone = all ? chairsAt(*table, job) : wide ? sides.front : sides.left;
    if (!all) {
        const auto& other = wide ? sides.behind : sides.right;
        gone.insert(gone.end(), other.begin(), other.end());
    }
    const std::string bench = found[1].str() + "bench";
    const auto put = [&](const char* where) {
        return fmt::format("{} {} {}, facing {}", bench, where, table->name, table->name);
    };
    out.push_back(fmt::format(
        "{}{}; then another {}", gone.empty() ? "" : fmt::format("remove {}; then ", namesOf(gone)),
        put(wide ? "in front of" : "left of"), put(wide ? "behind" : "right of")));
}

/// "make the dining table round, 140 across": one of that outline takes its place.
void madeRound(const std::string& line, const Project& job, std::vector<std::string>& out) {
    static const Saying words("(?:make|have|change|turn) (.+?) (?:in)?(?:to )?(?:a )?(round|oval|"
                              "square)(?: one)?(?:,? (?:and )?([0-9].*?)(?: across| wide| in "
                              "diameter| diameter| dia)?)?");
    std::smatch found;
    if (!words.is(line, found))
        return;
    const Piece* table = tableTold(found[1], job);
    if (table == nullptr || table->kind->role != Role::diningTable)
        return;
    if (chairsAt(*table, job).empty())
        return;
    out.push_back(fmt::format("replace {} by a {}{} table", table->name,
                              found[3].matched ? found[3].str() + " " : "", found[2].str()));
}

/// "turn the table so the long side faces the window"
void longSideFaces(const std::string& line, const Project& job, std::vector<std::string>& out) {
    if (!mentions(line, {"side", "end"}))
        return;
    static const Saying words("(?:turn|rotate|spin|swing|put|set) (.+?) so (?:that "
                              ")?(?:its|the|a) (long|short|narrow|wide) "
                              "(?:side|edge|end) (?:faces|is facing|is toward|is "
                              "towards|looks at|is against|runs along|is "
                              "along|is parallel to|is to) (.+)");
    std::smatch found;
    if (!words.is(line, found))
        return;
    const Piece* p = pieceNamed(found[1], job);
    if (p == nullptr)
        return;
    const auto which = foldCase(found[2].str());
    const bool longSide = which == "long" || which == "wide";
    const bool wide = p->size.width >= p->size.depth;
    // Its front is as wide as it is.
    if (longSide == wide) {
        out.push_back(fmt::format("turn {} to face {}", p->name, found[3].str()));
        return;
    }
    const auto t = targetNamed(found[3], job);
    const auto it = standsNamed(found[1], job);
    if (!t || !it)
        return;
    const Vec2 to = unit(middleOf(*t, *it.scene) - it.there->pose.at);
    // It is turned a quarter only where it doesn't lie so already.
    if (std::abs(dot(it.there->pose.front(), to)) > std::abs(dot(it.there->pose.right(), to)))
        out.push_back(fmt::format("turn {} 90", p->name));
}

/// "turn the desk so I face the door": whoever sits at it looks over it, so its back is that way.
void sitterFaces(const std::string& line, const Project& job, std::vector<std::string>& out) {
    if (!mentions(line, {" i ", "i'm", "we ", "you "}))
        return;
    static const Saying words(
        "(?:turn|rotate|move|put|set|spin|place|swing) (.+?)(?: around| round)? so "
        "(?:that )?(?:i|we|you|one)(?:'m| am| are| "
        "can)? (?:face|facing|see|look at|looking at|look out "
        "of|looking out of) (.+?)(?: from it| from "
        "there| when (?:i|we) sit(?: there)?)?");
    std::smatch found;
    if (!words.is(line, found))
        return;
    const auto it = standsNamed(found[1], job);
    const auto t = it ? targetNamed(found[2], job) : std::nullopt;
    if (!t)
        return;
    // Of a seat it is the seat that looks there.
    if (!it.piece->kind->isSatInTo()) {
        out.push_back(fmt::format("turn {} to face {}", it.piece->name, found[2].str()));
        return;
    }
    const Angle turn = turnToFace(it.there->pose.at - middleOf(*t, *it.scene));
    out.push_back(fmt::format("{} turned {:.1f}", it.piece->name, turn.inDegrees()));
}

/// "a bench on one side of the table", of one with chairs: along a long side, and in their place.
void benchOnOneSide(const std::string& line, const Project& job, std::vector<std::string>& out) {
    static const Saying words("(?:(?:put|place|add|set|have) )?(?:an? )?.*\\bbench\\b.*? (?:on|at|"
                              "along) (?:one|a|the long|one long) side(?: of (.+))?");
    std::smatch found;
    if (!words.is(line, found))
        return;
    const Piece* table = tableTold(found[1].matched ? found[1].str() : "the table", job);
    if (table != nullptr && table->kind->role == Role::diningTable &&
        !chairsAt(*table, job).empty())
        benchAtTable(line, job, out);
}

/// "a bench on the window side of the table", of one with chairs there: in their place.
void benchOnThatSide(const std::string& line, const Project& job, std::vector<std::string>& out) {
    if (const Piece* table = onlyDiningTable(job);
        table != nullptr && !chairsAt(*table, job).empty())
        benchOnASide(line, job, out);
}

/// "8 chairs", of a table that has six: two more.
void soManyChairs(const std::string& line, const Project& job, std::vector<std::string>& out) {
    if (!mentions(line, {"chairs"}))
        return;
    static const Saying words("(?:(?:use|have|put|want|i want|we need|i need) )?([0-9]+|two|four|"
                              "six|eight|ten|twelve) (?:dining )?chairs(?: instead| now)?");
    std::smatch found;
    const Piece* table = words.is(line, found) ? onlyDiningTable(job) : nullptr;
    int n = 0;
    if (table != nullptr && WordsReader(found[1].str(), job).takeCount(n) &&
        n > static_cast<int>(chairsAt(*table, job).size()) && !chairsAt(*table, job).empty())
        out.push_back(fmt::format("seat {} with {}", table->name, n));
}

/// "six chairs, three on each side", "a bench on the window side and three chairs on the other":
/// all the places along its long sides, and those at its ends where that is said.
void chairsAlongSides(const std::string& line, const Project& job, std::vector<std::string>& out) {
    if (!mentions(line, {"side"}))
        return;
    static const std::string count = "([0-9]|one|two|three|four|five)";
    static const Saying each(
        ("(?:(?:put|place|add|set|have|seat|i want) )?(?:(?:[0-9]+|two|four|six|eight|ten) "
         "(?:dining "
         ")?chairs?(?: (?:at|around) (.+?))?,? (?:with )?)?" +
         count +
         " (?:chairs? )?(?:on|along|at|down)? ?(?:each|either|both|every) (?:long )?sides?(?: "
         "(?:of|at) "
         "(.+?))?(?:,? (?:and|with) (one|1) (?:chair )?(?:at|on) (?:each|either|both) ends?)?")
            .c_str());
    static const Saying bench(
        ("(?:(?:put|place|add|set|have) )?((?:an? )?[a-z0-9 -]*?\\bbench\\b[^,]*?) (on|at|along) "
         "the "
         "([a-z]+)(?:[- ](?:hand )?side)(?: of (.+?))?,? (?:and|with) " +
         count + " (?:dining )?chairs (?:on|along|at) the (?:other|opposite)(?: side)?")
            .c_str());
    std::smatch found;
    const bool chairs = each.is(line, found);
    if (!chairs && !bench.is(line, found))
        return;
    const auto told = !chairs ? found[4] : found[1].matched ? found[1] : found[3];
    const Piece* table = tableTold(told.matched ? told.str() : "the table", job);
    int n = 0;
    if (table == nullptr || table->kind->role != Role::diningTable ||
        table->kind->footprint.form == FootprintForm::oval ||
        !WordsReader(chairs ? found[2].str() : found[5].str(), job).takeCount(n))
        return;
    if (chairs) {
        out.push_back(fmt::format("seat {} with {}{}", table->name, 2 * n + 2,
                                  found[4].matched ? "" : "; then remove the end chairs"));
        return;
    }
    const auto scene = sceneOf(job);
    const char* place =
        scene ? sideSaid(foldCase(found[3].str()), *table, job, **scene).place : nullptr;
    if (place == nullptr)
        return;
    constexpr std::pair<std::string_view, const char*> across[] = {{"in front of", "behind"},
                                                                   {"behind", "in front of"},
                                                                   {"left of", "right of"},
                                                                   {"right of", "left of"}};
    for (const auto& [side, other] : across)
        if (side == place)
            out.push_back(fmt::format("{} dining chairs {} {}; then {} {} {}, facing {}", n, other,
                                      table->name, found[1].str(), place, table->name,
                                      table->name));
}

/// "three chairs on the window side of the table": in a row there.
void chairsOnASide(const std::string& line, const Project& job, std::vector<std::string>& out) {
    if (!mentions(line, {"chairs"}))
        return;
    static const Saying words(
        "((?:put |place |add |set |have )?(?:[2-5]|two|three|four|five)) (?:dining "
        ")?chairs (?:on|along|at|down) (?:the )?([a-z]+)(?:[- ](?:hand )?side)(?: "
        "of (.+))?");
    std::smatch found;
    if (!words.is(line, found))
        return;
    const Piece* table = tableTold(found[3].matched ? found[3].str() : "the table", job);
    const auto scene = sceneOf(job);
    if (table == nullptr || table->kind->role != Role::diningTable || !scene)
        return;
    const auto which = foldCase(found[2].str());
    const bool wide = table->size.width >= table->size.depth;
    const char* place = which == "one" || which == "long" || which == "either"
                            ? (wide ? "in front of" : "left of")
                            : sideSaid(which, *table, job, **scene).place;
    if (place != nullptr)
        out.push_back(fmt::format("{} dining chairs {} {}", found[1].str(), place, table->name));
}

/// "add a leaf to the table, 18 inches": as much longer.
void withALeaf(const std::string& line, const Project& job, std::vector<std::string>& out) {
    if (!mentions(line, {"leaf", "leaves", "extension"}))
        return;
    static const Saying words(
        "(?:add|put|insert) (?:(?:an?|the|another) )?(?:([0-9][^,]*?) )?(?:leaf|extension leaf|"
        "extension)(?: (?:to|in|into) (.+?))?(?:,? (?:of )?([0-9].*?)(?: wide| long)?)?");
    std::smatch found;
    if (!words.is(line, found) || found[1].matched == found[3].matched)
        return;
    if (const Piece* table = tableTold(found[2].matched ? found[2].str() : "the table", job))
        out.push_back(fmt::format("make {} {} longer", table->name,
                                  found[1].matched ? found[1].str() : found[3].str()));
}

} // namespace

std::vector<Meaning> meaningsOfTablesFirst() {
    return {benchOnOneSide, benchesAlongIt, benchOnThatSide, sitterFaces};
}

std::vector<Meaning> meaningsOfTables() {
    return {chairsAtEnds,  chairsOfEnds,     longEnoughFor, rugForTable,
            benchOnASide,  benchAtTable,     soManyChairs,  madeRound,
            longSideFaces, chairsAlongSides, chairsOnASide, withALeaf};
}

} // namespace mezzet
