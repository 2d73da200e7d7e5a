// Chairs and benches at tables by where they stand, lights in rows, curtains by their windows.
#include "edit/arrange.h"
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
    if (!std::regex_match(words, any))
        return nullptr;
    const Piece* only = nullptr;
    for (const Piece& p : job.scheme().pieces)
        if (p.kind->role == Role::diningTable) {
            if (only != nullptr)
                return nullptr;
            only = &p;
        }
    return only;
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
    const Sides sides = sidesOf(*table, job, **scene);
    std::vector<const Piece*> chosen;
    if (ends) {
        const bool wide = table->size.width >= table->size.depth;
        chosen = wide ? sides.left : sides.front;
        const auto& other = wide ? sides.right : sides.behind;
        chosen.insert(chosen.end(), other.begin(), other.end());
    } else {
        const auto which = foldCase(found[2].str());
        if (which == "left" || which == "right")
            chosen = which == "left" ? sides.left : sides.right;
        else if (which == "front" || which == "back")
            chosen = which == "front" ? sides.front : sides.behind;
        else if (const auto t = targetNamed("the " + which, job, false)) {
            // The side that is nearest to it.
            const Placed* there = (*scene)->fromAbove(table->id);
            const Vec2 to = middleOf(*t, **scene) - there->pose.at;
            const double ahead = dot(to, there->pose.front());
            const double aside = dot(to, there->pose.right());
            chosen = std::abs(ahead) > std::abs(aside) ? (ahead > 0 ? sides.front : sides.behind)
                                                       : (aside > 0 ? sides.right : sides.left);
        }
    }
    if (!chosen.empty())
        out.push_back(fmt::format("{} {}", found[1].str(), namesOf(chosen)));
}

/// "put chairs at the ends of the table": one at each, of the kind that is there.
void chairsToEnds(const std::string& line, const Project& job, std::vector<std::string>& out) {
    if (!mentions(line, {"chair"}))
        return;
    static const auto words = meaning(
        "(?:(?:put|place|add|set|have) )?(?:some |two |2 |a pair of |a |extra |more |two more )?"
        "(?:dining )?chairs? (?:at|on) (?:the |both |each |either )(?:of the )?(?:ends?|heads?)(?: "
        "and foot)?(?: of (.+))?");
    std::smatch found;
    if (!std::regex_match(line, found, words))
        return;
    const Piece* table = tableTold(found[1].matched ? found[1].str() : "the table", job);
    const KindPtr kind =
        table != nullptr && table->kind->isSatInTo() ? usualChair(job, table->id) : nullptr;
    if (kind)
        out.push_back(fmt::format("two {}s at each end of {}", foldCase(kind->name), table->name));
}

/// "use carvers at the two ends": in place of the chairs that stand there.
void chairsOfEnds(const std::string& line, const Project& job, std::vector<std::string>& out) {
    if (!mentions(line, {"end", "head"}))
        return;
    static const auto words = meaning("(?:use|put|have|place|set|try) (?:two |2 |a pair of "
                                      ")?(.+?)s? (?:at|on|for) (?:the |both |each "
                                      ")?(?:two |both )?(?:of the )?(?:ends?|heads?)(?: of (.+))?");
    std::smatch found;
    if (!std::regex_match(line, found, words))
        return;
    const KindPtr kind = nounIn(found[1].str(), job);
    const Piece* table = tableTold(found[2].matched ? found[2].str() : "the table", job);
    const auto scene = sceneOf(job);
    if (!kind || !kind->isSeat() || table == nullptr || !scene)
        return;
    const Sides sides = sidesOf(*table, job, **scene);
    const bool wide = table->size.width >= table->size.depth;
    auto gone = wide ? sides.left : sides.front;
    const auto& other = wide ? sides.right : sides.behind;
    gone.insert(gone.end(), other.begin(), other.end());
    if (gone.empty()) {
        out.push_back(fmt::format("two {}s at each end of {}", foldCase(kind->name), table->name));
        return;
    }
    std::string all;
    for (const Piece* p : gone)
        all += fmt::format("{}replace {} by a {}", all.empty() ? "" : "; then ", p->name,
                           foldCase(kind->name));
    out.push_back(std::move(all));
}

/// "make the table longer so ten fit": as long as so many need, and seated with them.
void longEnoughFor(const std::string& line, const Project& job, std::vector<std::string>& out) {
    if (!mentions(line, {"table", "longer", "bigger", "larger"}))
        return;
    static const auto words = meaning("(?:make|extend|lengthen) (.+?)(?: "
                                      "(?:longer|bigger|larger|long enough|big enough|large enough|"
                                      "wider))? (?:so (?:that )?|for |to (?:fit|seat|take|hold) "
                                      ")(one|two|three|four|five|six|seven|"
                                      "eight|nine|ten|twelve|[0-9]+)(?: people| guests| of us| "
                                      "diners)?(?: fit| can sit| sit| can fit| "
                                      "can be seated)?");
    std::smatch found;
    if (!std::regex_match(line, found, words))
        return;
    const Piece* table = tableTold(found[1], job);
    int count = 0;
    const std::string number = found[2];
    if (table == nullptr || !table->kind->isSatInTo() ||
        !WordsReader(number, job).takeCount(count) || count < 1 || count > mostAtTable)
        return;
    Piece wanted = *table;
    const Length each = elbowRoom(job);
    const Length step = isMetric(job.notation.units) ? Length::centimetres(10) : Length::inches(6);
    const bool round =
        table->footprint.form == FootprintForm::oval && table->size.width == table->size.depth;
    for (int i = 0; i < 100 && seatsBy(wanted, each) < count; ++i) {
        wanted.size.width = wanted.size.width + step;
        if (round)
            wanted.size.depth = wanted.size.width;
    }
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
    std::smatch found;
    if (!std::regex_match(line, found, words))
        return;
    const Piece* table = pieceNamed(found[2], job);
    if (table == nullptr)
        table = tableTold(found[2].str(), job);
    if (table == nullptr || table->kind->isSeat())
        return;
    const Length past = job.library.book->habit("rug-past-table") * 2;
    out.push_back(fmt::format("{} {} x {} under {}", found[1].str(),
                              write(table->size.width + past, job.notation),
                              write(table->size.depth + past, job.notation), table->name));
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
        "other|the free|either|the long|one long) side of (.+)");
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
    }
    // The side that has as many; of two alike the one before it.
    const bool before = first.size() >= other.size();
    const auto& gone = before ? first : other;
    if (!gone.empty())
        out.push_back(
            fmt::format("remove {}; then {}", namesOf(gone), put(before ? place : across)));
}

/// "turn the table so the long side faces the window"
void longSideFaces(const std::string& line, const Project& job, std::vector<std::string>& out) {
    if (!mentions(line, {"side", "end"}))
        return;
    static const auto words = meaning("(?:turn|rotate|spin|swing|put|set) (.+?) so (?:that "
                                      ")?(?:its|the|a) (long|short|narrow|wide) "
                                      "(?:side|edge|end) (?:faces|is facing|is toward|is "
                                      "towards|looks at|is against|runs along|is "
                                      "along|is parallel to|is to) (.+)");
    std::smatch found;
    if (!std::regex_match(line, found, words))
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
    const auto scene = sceneOf(job);
    const Placed* there = scene ? (*scene)->fromAbove(p->id) : nullptr;
    if (!t || there == nullptr)
        return;
    const Vec2 to = unit(middleOf(*t, **scene) - there->pose.at);
    // It is turned a quarter only where it doesn't lie so already.
    if (std::abs(dot(there->pose.front(), to)) > std::abs(dot(there->pose.right(), to)))
        out.push_back(fmt::format("turn {} 90", p->name));
}

/// "turn the desk so I face the door": whoever sits at it looks over it, so its back is that way.
void sitterFaces(const std::string& line, const Project& job, std::vector<std::string>& out) {
    if (!mentions(line, {" i ", "i'm", "we ", "you "}))
        return;
    static const auto words = meaning("(?:turn|rotate|move|put|set|spin|place|swing) (.+?) so "
                                      "(?:that )?(?:i|we|you|one)(?:'m| am| are| "
                                      "can)? (?:face|facing|see|look at|looking at|look out "
                                      "of|looking out of) (.+?)(?: from it| from "
                                      "there| when (?:i|we) sit(?: there)?)?");
    std::smatch found;
    if (!std::regex_match(line, found, words))
        return;
    const Piece* p = pieceNamed(found[1], job);
    const auto scene = sceneOf(job);
    const Placed* there = p != nullptr && scene ? (*scene)->fromAbove(p->id) : nullptr;
    const auto t = there != nullptr ? targetNamed(found[2], job) : std::nullopt;
    if (!t)
        return;
    // Of a seat it is the seat that looks there.
    if (!p->kind->isSatInTo()) {
        out.push_back(fmt::format("turn {} to face {}", p->name, found[2].str()));
        return;
    }
    const Pose plain{};
    const Angle turn =
        (directionOf(there->pose.at - middleOf(*t, **scene)) - directionOf(plain.front()))
            .normalised();
    out.push_back(fmt::format("{} turned {:.1f}", p->name, turn.inDegrees()));
}

/// "six recessed lights in two rows", "recessed lights in a grid": rows along the longest wall,
/// each as far from its neighbour as twice from the wall; without a number by the floor's area.
void lightsInRows(const std::string& line, const Project& job, std::vector<std::string>& out) {
    if (!mentions(line, {"light", "can", "spot", "downlight"}))
        return;
    static const auto words = meaning(
        "(?:(?:put|place|add|set|have|spread|space) "
        ")?(?:(an?|one|two|three|four|five|six|seven|eight|"
        "nine|ten|eleven|twelve|[0-9]+) )?(?:small )?(?:recessed (?:can )?lights|can lights|cans|"
        "downlights|down lights|recessed cans|spotlights|spots|pot lights)(?:,? (?:evenly|spread|"
        "spaced|in the ceiling|on the ceiling|across the ceiling|in the room|over the room|in an? "
        "(?:even )?grid|in rows|evenly spaced|spread out|out|(?:in )?(one|two|three|2|3) rows?(?: "
        "of "
        "(?:[0-9]+|two|three|four|five|six))?|over the whole room|around the room))*");
    std::smatch found;
    if (!std::regex_match(line, found, words) || !job.room->closed)
        return;
    int count = 0;
    if (found[1].matched) {
        const std::string number = foldCase(found[1].str());
        if (number == "a" || number == "an" || !WordsReader(number, job).takeCount(count))
            return;
    }
    if (count == 0) {
        out.emplace_back("light this room evenly");
        return;
    }
    int rows = 0;
    if (const auto said = found[2]; said.matched)
        rows = said.str() == "2" || foldCase(said.str()) == "two"     ? 2
               : said.str() == "3" || foldCase(said.str()) == "three" ? 3
                                                                      : 1;
    const auto& walls = job.room->walls;
    const auto longest =
        std::max_element(walls.begin(), walls.end(),
                         [](const Wall& a, const Wall& b) { return a.length() < b.length(); });
    const Box room = job.room->bounds();
    const double depth = std::abs(longest->inward().x) * room.size().x +
                         std::abs(longest->inward().y) * room.size().y;
    // As square a grid as the number allows: no cell is more than twice as long as wide, if it can
    // be; at most three rows.
    for (int r = 1; rows == 0 && r <= 3; ++r)
        if (count % r == 0 && (longest->length().mm() / (count / r)) >= depth / r * 0.75)
            rows = r;
    for (int r = 3; rows == 0 && r >= 1; --r)
        if (count % r == 0)
            rows = r;
    if (rows == 0 || count % rows != 0)
        return;
    const int each = count / rows;
    const auto length = [&](double mm) {
        const bool metric = isMetric(job.notation.units);
        return write(metric ? Length::centimetres(std::round(mm / 10))
                            : Length::inches(std::round(mm / 25.4)),
                     job.notation);
    };
    std::string all;
    for (int r = 0; r < rows; ++r) {
        const double off = depth / rows * (r + 0.5);
        const auto one =
            each == 1
                ? fmt::format("recessed light {} from wall {}, centred on wall {}", length(off),
                              longest->name, longest->name)
                : fmt::format("{} recessed lights {} from wall {}, {} apart", each, length(off),
                              longest->name, length(longest->length().mm() / each));
        all += (all.empty() ? "" : "; then ") + one;
    }
    out.push_back(std::move(all));
}

/// "hang curtains high and wide": a pole near the ceiling, well past the sides of each window.
void highAndWide(const std::string& line, const Project& job, std::vector<std::string>& out) {
    if (!mentions(line, {"wide", "ceiling", "height"}))
        return;
    static const auto words =
        meaning("(?:(?:put|hang|add) )?(?:the )?(?:curtains?|drapes|drapery|curtain panels)(?: "
                "(?:at|on|over|for) "
                "(.+?))?,? (?:from )?(?:up )?(high and wide|floor[- ]to[- ]ceiling|ceiling[- ]to[- "
                "]floor|full "
                "height)(?: (?:at|on|over|of|for) (.+))?");
    static const auto first =
        meaning("(?:(?:put|hang|add) )?(?:the )?()(floor[- ]to[- ]ceiling|ceiling[- ]to[- ]floor|"
                "full[- ]height) (?:curtains?|drapes|drapery|curtain panels)(?: "
                "(?:at|on|over|of|for) (.+))?");
    std::smatch found;
    if (!std::regex_match(line, found, words) && !std::regex_match(line, found, first))
        return;
    const bool whole = !foldCase(found[2].str()).starts_with("high");
    const auto told = found[1].length() > 0 ? found[1].str() : found[3].str();
    static const auto every =
        meaning("(?:each|every|all|both|the|all the|both the|the two)(?: of the)? windows?(?: "
                "(?:on|in|of) (?:the )?wall ([a-z]))?");
    const auto one = told.empty() ? std::nullopt : targetNamed(told, job, false);
    std::smatch several;
    if (!told.empty() && !one && !std::regex_match(told, several, every))
        return;
    const auto wall = !one && !told.empty() && several[1].matched
                          ? wallIndex(foldCase(several[1].str()))
                          : std::nullopt;
    const bool metric = isMetric(job.notation.units);
    const auto past = metric ? Length::centimetres(30) : Length::inches(12);
    const auto under = whole ? Length{} : metric ? Length::centimetres(10) : Length::inches(4);
    const auto foot = metric ? Length::centimetres(1) : Length::inches(0.5);
    std::string all;
    for (const Opening& o : job.room->openings) {
        if (o.kind != OpeningKind::window || (one && !(targetOf(o) == *one)) ||
            (wall && o.wall != *wall))
            continue;
        all += fmt::format("{}add curtains {} wide {} high on {}", all.empty() ? "" : "; then ",
                           write(o.width + past * 2, job.notation),
                           write(job.room->ceiling - under - foot, job.notation), o.name());
    }
    if (!all.empty())
        out.push_back(std::move(all));
}

/// "pull the armchair 40 out of the corner": off both walls that meet there.
void outOfCorner(const std::string& line, const Project& job, std::vector<std::string>& out) {
    if (!mentions(line, {"corner"}))
        return;
    static const auto words = meaning(
        "(?:pull|move|bring|slide|push|take|ease|get) (.+?)(?: (?:by )?([0-9].*?))? (?:out of|away "
        "from|off|out from|from) (?:the|its|that) corner(?: (?:by )?([0-9].*?))?(?: a "
        "(?:bit|little))?");
    std::smatch found;
    if (!std::regex_match(line, found, words))
        return;
    const Piece* p = pieceNamed(found[1], job);
    const auto scene = sceneOf(job);
    const Placed* there = p != nullptr && scene ? (*scene)->fromAbove(p->id) : nullptr;
    if (there == nullptr)
        return;
    const auto said = found[2].matched ? found[2].str() : found[3].str();
    Length by = isMetric(job.notation.units) ? Length::centimetres(15) : Length::inches(6);
    if (!said.empty()) {
        const auto l = readLength(said, job.notation.units);
        if (!l)
            return;
        by = *l;
    }
    // The corner it stands in: of the two walls of each, how far it is from their meeting.
    const auto& walls = job.room->walls;
    std::size_t best = 0;
    for (std::size_t i = 1; i < walls.size(); ++i)
        if (norm(there->pose.at - walls[i].start) < norm(there->pose.at - walls[best].start))
            best = i;
    const auto before = (best + walls.size() - 1) % walls.size();
    const auto line1 = write(by, job.notation);
    out.push_back(
        fmt::format("move {0} {1} away from wall {2}; then move {0} {1} away from wall {3}",
                    p->name, line1, walls[before].name, walls[best].name));
}

} // namespace

std::vector<Meaning> meaningsOfTables() {
    return {chairsAtEnds,  chairsToEnds, chairsOfEnds, longEnoughFor, rugForTable, benchAtTable,
            longSideFaces, sitterFaces,  lightsInRows, highAndWide,   outOfCorner};
}

} // namespace mezzet
