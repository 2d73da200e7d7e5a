// Curtains by what they reach over: from the ceiling, so far over and past each window, all along a
// wall, and where their rod is.
#include "edit/subjects.h"
#include "measure/text.h"
#include "scheme/on_wall.h"
#include "speech/meant_words.h"

#include <fmt/format.h>

#include <algorithm>

namespace mezzet {

namespace {

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

/// Where the top of curtains usually is over a window whose head is there; under the ceiling.
Length usualTop(const Project& job, Length head) {
    const RuleBook& book = *job.library.book;
    return std::min(head + book.habit("curtain-over"),
                    job.room->ceiling - book.habit("curtain-under-ceiling"));
}

/// A line for each window, or for the one that is named: of the curtains that hang over it, or of
/// new ones where none do.
template <typename There, typename Fresh>
std::string atEachWindow(const Project& job, const Scene& scene, const std::optional<Target>& one,
                         const There& there, const Fresh& fresh) {
    std::vector<std::string> lines;
    for (const Opening& o : job.room->openings) {
        if (o.kind != OpeningKind::window || (one && targetOf(o) != *one))
            continue;
        const auto& pieces = job.scheme().pieces;
        const auto hung = std::find_if(pieces.begin(), pieces.end(), [&](const Piece& p) {
            return rodOver(p, o, scene).has_value();
        });
        lines.push_back(hung != pieces.end() ? there(*hung, o, *rodOver(*hung, o, scene))
                                             : fresh(o));
    }
    return fmt::format("{}", fmt::join(lines, "; then "));
}

/// One pair of curtains for all windows of a wall: from past the first to past the last of them, or
/// over the whole of it.
void onePair(int wall, bool pastThem, const Project& job, std::vector<std::string>& out) {
    const KindPtr kind = job.library.kit->byWord("curtains");
    const Wall& w = job.room->walls[static_cast<std::size_t>(wall)];
    Length left = w.length();
    Length right;
    Length head;
    for (const Opening& o : job.room->openings)
        if (o.kind == OpeningKind::window && o.wall == wall) {
            left = std::min(left, o.left);
            right = std::max(right, o.left + o.width);
            head = std::max(head, o.head());
        }
    if (!kind || head <= Length{})
        return;
    const Length past = job.library.book->habit("curtain-past");
    const Length from = pastThem ? std::max(Length{}, left - past) : Length{};
    const Length to = pastThem ? std::min(w.length(), right + past) : w.length();
    const auto size = [&](Length l) { return write(l, job.notation); };
    out.push_back(
        fmt::format("add curtains {} wide {} high on wall {}, {} from left corner, bottom at {}",
                    size(to - from), size(usualTop(job, head) - kind->hangAt), w.name, size(from),
                    size(kind->hangAt)));
}

/// "short curtains on the window", "curtains to the sill": from over it to the sill.
void curtainsToTheSill(const std::string& line, const Project& job, std::vector<std::string>& out) {
    static const Saying words("(?:(?:hang|put|add) )?(?:some )?(?:(?:short|sill[- ]length) "
                              "(?:curtains|drapes)|(?:curtains|"
                              "drapes) (?:down )?to (just |a little )?(below |under |past )?the "
                              "(?:window ?)?sill)(?: (?:on|at|for|over) "
                              "(?:the |all the |both |both "
                              "the |each )?(.*window.*))?");
    std::smatch found;
    const KindPtr kind = job.library.kit->byWord("curtains");
    if (!kind || !words.is(line, found))
        return;
    static const auto plural = meaning("windows?");
    const auto told = found[3].str();
    // Clear of the sill they hang a hand below it.
    Length below; // common practice
    if (found[2].matched)
        below = isMetric(job.notation.units) ? Length::centimetres(10) : Length::inches(4);
    const auto one = told.empty() ? std::nullopt : targetNamed(told, job, false);
    if (!told.empty() && !one && !std::regex_match(told, plural))
        return;
    const auto size = [&](Length l) { return write(l, job.notation); };
    std::string all;
    for (const Opening& o : job.room->openings)
        if (o.kind == OpeningKind::window && (!one || targetOf(o) == *one))
            all += fmt::format(
                "{}add curtains {} wide {} high on {}, bottom at {}", all.empty() ? "" : "; then ",
                size(o.width + job.library.book->habit("curtain-past") * 2),
                size(usualTop(job, o.head()) - o.sill + below), o.name(), size(o.sill - below));
    if (!all.empty())
        out.push_back(std::move(all));
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
    const auto lines = atEachWindow(
        job, **scene, one,
        [&](const Piece& p, const Opening& o, const Box& hung) {
            return fmt::format(
                "make {} {} high", p.name,
                write(o.head() + *over - Length::millimetres(hung.low.y), job.notation));
        },
        [&](const Opening& o) {
            return fmt::format(
                "add {} {} wide {} high on {}", found[1].str(),
                write(o.width + job.library.book->habit("curtain-past") * 2, job.notation),
                write(o.head() + *over - kind->hangAt, job.notation), o.name());
        });
    if (!lines.empty())
        out.push_back(lines);
}

/// The same where some hang over each of those already: they are meant, and no second pair.
void curtainsThatHang(const std::string& line, const Project& job, std::vector<std::string>& out) {
    std::vector<std::string> lines;
    curtainsOverEach(line, job, lines);
    for (auto& l : lines)
        if (l.find("add ") == std::string::npos)
            out.push_back(std::move(l));
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
    const auto wide = [&](const Opening& o) { return write(o.width + *past * 2, job.notation); };
    const auto lines = atEachWindow(
        job, **scene, one,
        [&](const Piece& p, const Opening& o, const Box&) {
            return fmt::format("make {} {} wide", p.name, wide(o));
        },
        [&](const Opening& o) {
            return fmt::format("add {} {} wide {} high on {}", noun, wide(o),
                               write(usualTop(job, o.head()) - kind->hangAt, job.notation),
                               o.name());
        });
    if (!lines.empty())
        out.push_back(lines);
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
    if (wall >= 0)
        onePair(wall, false, job, out);
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
    if (const auto wall = onlyWallOf(OpeningKind::window, *job.room))
        onePair(*wall, true, job, out);
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

std::vector<Meaning> meaningsOfCurtainsFirst() {
    return {curtainsToTheSill, curtainsThatHang};
}

std::vector<Meaning> meaningsOfCurtains() {
    return {highAndWide, curtainsOverEach, curtainsPast, curtainsAcross, curtainsWallToWall, rodAt};
}

} // namespace mezzet
