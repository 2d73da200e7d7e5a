// Lights in rows over a room, and curtains from its ceiling.
#include "edit/place.h"
#include "edit/subjects.h"
#include "edit/words_reader.h"
#include "geometry/boxes.h"
#include "measure/text.h"
#include "scheme/on_wall.h"
#include "speech/meant_words.h"

#include <fmt/format.h>

#include <algorithm>
#include <cmath>

namespace mezzet {

namespace {

/// So many lights over a room that is no rectangle: shared out by floor among the rectangles it is
/// made of, in as square a grid as the number allows in each; empty where it has slanting walls.
std::string lightsOverParts(int count, const Project& job) {
    const auto parts = boxesOf(job.room->edge);
    if (parts.size() < 2)
        return {};
    const auto floor = [](const Box& b) { return b.size().x * b.size().y; };
    double all = 0;
    for (const Box& b : parts)
        all += floor(b);
    // One after the other to the part that has the most floor for each of its lights.
    std::vector<int> share(parts.size(), 0);
    for (int i = 0; i < count; ++i) {
        std::size_t most = 0;
        for (std::size_t k = 1; k < parts.size(); ++k)
            if (floor(parts[k]) / (share[k] + 1) > floor(parts[most]) / (share[most] + 1))
                most = k;
        ++share[most];
    }
    const bool metric = isMetric(job.notation.units);
    const auto at = [&](double mm) {
        return write(metric ? Length::centimetres(std::round(mm / 10))
                            : Length::inches(std::round(mm / 25.4)),
                     job.notation);
    };
    std::string out;
    for (std::size_t k = 0; k < parts.size(); ++k) {
        const Vec2 size = parts[k].size();
        int columns = 0;
        for (int c = 1; c <= share[k]; ++c) {
            const auto oblong = [&](int n) {
                return std::abs(
                    std::log(size.x / n / (size.y / (static_cast<double>(share[k]) / n))));
            };
            if (share[k] % c == 0 && (columns == 0 || oblong(c) < oblong(columns)))
                columns = c;
        }
        for (int i = 0; i < share[k]; ++i) {
            const int rows = share[k] / columns;
            const Vec2 place = parts[k].low + Vec2{size.x * (i % columns + 0.5) / columns,
                                                   size.y * (i / columns + 0.5) / rows};
            out += fmt::format("{}add another recessed light at {}, {}",
                               out.empty() ? "" : "; then ", at(place.x), at(place.y));
        }
    }
    return out;
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
    if (auto over = found[2].matched ? std::string() : lightsOverParts(count, job); !over.empty()) {
        out.push_back(std::move(over));
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

/// "three spotlights in a row along wall C": under the ceiling, as far off that wall as the first
/// line of lights is.
void lightsAlongWall(const std::string& line, const Project& job, std::vector<std::string>& out) {
    if (!mentions(line, {"along", "against", "near", "by ", "next to"}))
        return;
    static const Saying words(
        "(?:(?:put|place|add|set|have|hang|install|a|the) )*(.+?)(?:,? (?:in an? (?:row|line)|"
        "evenly|spaced|spread|out))* (?:along|against|near|by|next to) (?:the )?(.+?)(,? [0-9].*? "
        "apart)?(?:,? (?:in an? (?:row|line)|evenly|spaced|spread|out))*");
    std::smatch found;
    if (!words.is(line, found))
        return;
    const KindPtr kind = nounIn(found[1].str(), job);
    if (!kind || !kind->underCeiling())
        return;
    const auto wall = targetNamed(found[2], job, false);
    if (!wall || wall->is != Target::Is::wall)
        return;
    out.push_back(fmt::format("{} {} from wall {}{}", found[1].str(),
                              write(usualBy(job, "recessed-edge"), job.notation),
                              wallName(wall->index), found[3].str()));
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
    const RuleBook& book = *job.library.book;
    const KindPtr kind = job.library.kit->byWord("curtains");
    if (!kind)
        return;
    const Length under = whole ? Length{} : book.habit("curtain-over-least");
    std::string all;
    for (const Opening& o : job.room->openings) {
        if (o.kind != OpeningKind::window || (one && !(targetOf(o) == *one)) ||
            (wall && o.wall != *wall))
            continue;
        all += fmt::format("{}add curtains {} wide {} high on {}", all.empty() ? "" : "; then ",
                           write(o.width + book.habit("curtain-past") * 2, job.notation),
                           write(job.room->ceiling - under - kind->hangAt, job.notation), o.name());
    }
    if (!all.empty())
        out.push_back(std::move(all));
}

/// Where curtains on a rod hang that reach over an opening; none for all else.
std::optional<Box> rodOver(const Piece& p, const Opening& o, const Scene& scene) {
    if (p.kind->role != Role::curtain || p.kind->hanging.mount != Mount::rod || !p.onWall() ||
        p.wall() != o.wall)
        return {};
    const auto b = boxOn(pieceTarget(p.id), p.wall(), scene);
    return b && b->low.x < (o.left + o.width).mm() && b->high.x > o.left.mm() ? b : std::nullopt;
}

/// "hang curtains 4 above the window frames", "drapes 10 above window 2": from so far over each
/// window, or the one that is named, to where such a kind ends.
void curtainsOverEach(const std::string& line, const Project& job, std::vector<std::string>& out) {
    static const Saying words(
        "(?:(?:hang|put|add|mount) )?(?:some |new )?((?:[a-z]+ )?(?:curtains|drapes|drapery))"
        "(?: (?:with (?:the |their )?(?:rod|pole|top) )?)?(?: at)? ([0-9].*?) (?:above|over) "
        "(?:the |each |all (?:the )?|both (?:the )?|every )?(.*window.*?)(?: frames?| "
        "heads?)?(?:,? (?:and )?(?:down )?(?:all the way )?"
        "(?:down )?to the (?:floor|ground))?");
    std::smatch found;
    if (!words.is(line, found))
        return;
    const KindPtr kind = nounIn(found[1].str(), job);
    const auto over = readLength(found[2].str(), job.notation.units);
    if (!kind || kind->role != Role::curtain || !over)
        return;
    static const auto plural = meaning("windows?|window frames?");
    const auto one = targetNamed(found[3], job, false);
    if (!one && !std::regex_match(found[3].str(), plural))
        return;
    const auto scene = sceneOf(job);
    if (!scene)
        return;
    std::string all;
    for (const Opening& o : job.room->openings) {
        if (o.kind != OpeningKind::window || (one && targetOf(o) != *one))
            continue;
        // Where some hang already, they are meant.
        const auto& pieces = job.scheme().pieces;
        const auto there = std::find_if(pieces.begin(), pieces.end(), [&](const Piece& p) {
            return rodOver(p, o, **scene).has_value();
        });
        if (there != pieces.end()) {
            const Length foot = Length::millimetres(rodOver(*there, o, **scene)->low.y);
            all += fmt::format("{}make {} {} high", all.empty() ? "" : "; then ", there->name,
                               write(o.head() + *over - foot, job.notation));
            continue;
        }
        all += fmt::format(
            "{}add {} {} wide {} high on {}", all.empty() ? "" : "; then ", found[1].str(),
            write(o.width + job.library.book->habit("curtain-past") * 2, job.notation),
            write(o.head() + *over - kind->hangAt, job.notation), o.name());
    }
    if (!all.empty())
        out.push_back(std::move(all));
}

/// "curtains to the floor, 20 past the window each side": so much wider than each window, or the
/// one that is named; from where a rod usually hangs down to where such a kind ends.
void curtainsPast(const std::string& line, const Project& job, std::vector<std::string>& out) {
    static const Saying words(
        "(?:(?:hang|put|add|mount|have|make) )?(?:some |new |the )?((?:curtain "
        ")?(?:poles?|rods?|rails?)|"
        "(?:[a-z]+ )?(?:curtains|drapes|"
        "drapery))(?:,? (?:down )?to the (?:floor|ground))?(?:,? (?:at|on|for|over) (?:the |each |"
        "all (?:the )?|both (?:the )?|every )?([a-z0-9 ]*window.*?))?(?:,? (?:down )?to the "
        "(?:floor|ground))?,? (?:reaching |extending |that (?:reach|extend|go) |go |going )?([0-9]"
        ".*?) (?:past|beyond|outside|wider than) (?:(?:the |each |its )?(?:windows?|frames?|sides|"
        "opening)[a-z0-9 ]*?,? ?)?(?:(?:on |at )?(?:(?:each|both|either) sides?|each end))?");
    std::smatch found;
    if (!words.is(line, found))
        return;
    static const auto rod = meaning("(?:curtain )?(?:poles?|rods?|rails?)");
    const std::string noun =
        std::regex_match(found[1].first, found[1].second, rod) ? "curtains" : found[1].str();
    const KindPtr kind = nounIn(noun, job);
    const auto past = readLength(found[3].str(), job.notation.units);
    if (!kind || kind->role != Role::curtain || !past)
        return;
    static const auto plural = meaning("(?:windows?|window frames?)");
    const bool named = found[2].matched && !std::regex_match(found[2].str(), plural);
    const auto one = named ? targetNamed(found[2], job, false) : std::nullopt;
    const auto scene = sceneOf(job);
    if (!scene || (named && !one))
        return;
    std::string all;
    for (const Opening& o : job.room->openings) {
        if (o.kind != OpeningKind::window || (one && targetOf(o) != *one))
            continue;
        const auto wide = write(o.width + *past * 2, job.notation);
        const auto& pieces = job.scheme().pieces;
        const auto there = std::find_if(pieces.begin(), pieces.end(), [&](const Piece& p) {
            return rodOver(p, o, **scene).has_value();
        });
        const auto* then = all.empty() ? "" : "; then ";
        if (there != pieces.end())
            all += fmt::format("{}make {} {} wide", then, there->name, wide);
        else
            all +=
                fmt::format("{}add {} {} wide {} high on {}", then, noun, wide,
                            write(o.head() + job.library.book->habit("curtain-over") - kind->hangAt,
                                  job.notation),
                            o.name());
    }
    if (!all.empty())
        out.push_back(std::move(all));
}

/// "curtain rail from wall to wall", "curtains wall to wall": one pair over the whole of the wall
/// that has windows.
void curtainsWallToWall(const std::string& line, const Project& job,
                        std::vector<std::string>& out) {
    static const Saying words("(?:(?:hang|put|add|mount|have|run) )?(?:an? |the "
                              ")?(?:curtain|drapery)s?(?: (?:rods?|poles?|rails?|"
                              "tracks?))? (?:from )?wall[ -]to[ -]wall(?: on (?:the "
                              ")?(.+))?|(?:(?:hang|put|add|mount|have) "
                              ")?wall[ -]to[ -]wall curtains(?: on (?:the )?(.+))?");
    std::smatch found;
    if (!words.is(line, found))
        return;
    const auto named = found[1].matched ? found[1].str() : found[2].str();
    int wall = -1;
    if (named.empty())
        wall = onlyWallOf(OpeningKind::window, *job.room).value_or(-1);
    else if (const auto t = targetNamed(named, job, false); t && t->is == Target::Is::wall)
        wall = t->index;
    const KindPtr kind = job.library.kit->byWord("curtains");
    if (wall < 0 || !kind)
        return;
    Length head;
    for (const Opening& o : job.room->openings)
        if (o.kind == OpeningKind::window && o.wall == wall)
            head = std::max(head, o.head());
    if (head <= Length{})
        return;
    const Wall& w = job.room->walls[static_cast<std::size_t>(wall)];
    const auto size = [&](Length l) { return write(l, job.notation); };
    const Length top =
        std::min(head + job.library.book->habit("curtain-over"),
                 job.room->ceiling - job.library.book->habit("curtain-under-ceiling"));
    out.push_back(
        fmt::format("add curtains {} wide {} high on wall {}, 0 from left corner, bottom at {}",
                    size(w.length()), size(top - kind->hangAt), w.name, size(kind->hangAt)));
}

/// "one curtain rod across both windows": one pair of curtains, from past the first to past the
/// last of the windows of a wall.
void curtainsAcross(const std::string& line, const Project& job, std::vector<std::string>& out) {
    static const Saying words(
        "(?:(?:hang|put|add|mount|have|run) )?(?:one |an? |the |a single |a long )?(?:(?:pair|set) "
        "of )?"
        "(?:(?:curtain|drapery) (?:rods?|poles?|rails?)|curtains?|drapes) "
        "(?:across|over|spanning|along) "
        "(?:both|all|the two|the three|all the|both the)(?: of the)?(?: (?:two|three))? windows?");
    std::smatch found;
    if (!words.is(line, found))
        return;
    const auto wall = onlyWallOf(OpeningKind::window, *job.room);
    const KindPtr kind = job.library.kit->byWord("curtains");
    if (!wall || !kind)
        return;
    std::optional<Length> left;
    Length right;
    Length head;
    for (const Opening& o : job.room->openings)
        if (o.kind == OpeningKind::window) {
            left = left ? std::min(*left, o.left) : o.left;
            right = std::max(right, o.left + o.width);
            head = std::max(head, o.head());
        }
    if (!left)
        return;
    const auto& book = *job.library.book;
    const Wall& w = job.room->walls[static_cast<std::size_t>(*wall)];
    const Length past = book.habit("curtain-past");
    const Length from = std::max(Length{}, *left - past);
    const Length to = std::min(w.length(), right + past);
    const auto size = [&](Length l) { return write(l, job.notation); };
    out.push_back(
        fmt::format("add curtains {} wide {} high on wall {}, {} from left corner, bottom at {}",
                    size(to - from), size(head + book.habit("curtain-over") - kind->hangAt), w.name,
                    size(from), size(kind->hangAt)));
}

/// "hang the curtain rod 4 above the window", "raise the rod to the ceiling": the curtains reach
/// from there down to where they did.
void rodAt(const std::string& line, const Project& job, std::vector<std::string>& out) {
    if (!mentions(line, {"rod", "pole", "rail"}))
        return;
    static const Saying words(
        "(?:hang|put|raise|move|set|mount|lift|lower|drop|bring) (?:(?:the |all the |both "
        ")?(?:curtain |"
        "curtains |drapery )?(?:rods?|poles?|rails?)|(?:the |all the |both (?:the )?)"
        "(?:curtains?|drapes)|curtains(?: [0-9]+)?(?:(?:,| and) curtains [0-9]+)*)"
        "(?: up| down)? (?:at |about "
        ")?(?:([0-9].*?) )?(?:"
        "(above|over) (?:the |its |their |each )?(?:window )?(?:windows?|frames?|trim|heads?)(?: "
        "[0-9])?|(?:to|up to|at|near|"
        "against|below|under|from) (?:the )?ceiling|by ([0-9].*?))(?:,? (?:and )?(?:down )?(?:all "
        "the way )?(?:down )?to the (?:floor|ground))?");
    std::smatch found;
    if (!words.is(line, found))
        return;
    const auto scene = sceneOf(job);
    const auto said = found[1].matched   ? readLength(found[1].str(), job.notation.units)
                      : found[3].matched ? readLength(found[3].str(), job.notation.units)
                                         : Result<Length>(Length{});
    if (!scene || !said)
        return;
    const bool down = foldCase(line).starts_with("lower") || foldCase(line).starts_with("drop");
    std::string all;
    for (const Piece& p : job.scheme().pieces) {
        if (p.kind->role != Role::curtain || p.kind->hanging.mount != Mount::rod || !p.onWall())
            continue;
        const auto there = boxOn(pieceTarget(p.id), p.wall(), **scene);
        if (!there)
            continue;
        const Box box = *there;
        Length top = Length::millimetres(box.high.y);
        if (found[3].matched) {
            top = top + (down ? Length{} - *said : *said);
        } else if (!found[2].matched) {
            top = job.room->ceiling - *said;
        } else {
            const auto over = std::find_if(
                job.room->openings.begin(), job.room->openings.end(), [&](const Opening& o) {
                    return o.kind == OpeningKind::window && rodOver(p, o, **scene).has_value();
                });
            if (over == job.room->openings.end())
                continue;
            top =
                over->head() + (found[1].matched ? *said : job.library.book->habit("curtain-over"));
        }
        if (const Length high = top - Length::millimetres(box.low.y); high > Length{})
            all += fmt::format("{}make {} {} high", all.empty() ? "" : "; then ", p.name,
                               write(high, job.notation));
    }
    if (!all.empty())
        out.push_back(std::move(all));
}

} // namespace

std::vector<Meaning> meaningsOverhead() {
    return {lightsInRows, lightsAlongWall, highAndWide,        curtainsOverEach,
            curtainsPast, curtainsAcross,  curtainsWallToWall, rodAt};
}

} // namespace mezzet
