// What the line's own words would understand too, but not so well.
#include "edit/beside_wall.h"
#include "edit/landing.h"
#include "edit/line.h"
#include "edit/new_piece.h"
#include "edit/place.h"
#include "edit/sizes_said.h"
#include "edit/words_reader.h"
#include "measure/text.h"
#include "speech/meant_words.h"

#include <fmt/format.h>

#include <cmath>

namespace mezzet {

namespace {

/// "24 from wall D": the edge of such an outline to the nearest wall that is square to a direction,
/// behind it; empty where there is none.
std::string fromWallBehind(const Project& job, Vec2 at, Vec2 direction, double half) {
    constexpr double square = 0.9999;
    const Wall* best = nullptr;
    double least = 1e300;
    for (const Wall& w : job.room->walls) {
        const double off = dot(at - w.start, w.inward()) - half;
        if (std::abs(dot(w.inward(), direction)) > square && off >= 0 && off < least) {
            best = &w;
            least = off;
        }
    }
    return best == nullptr
               ? std::string()
               : fmt::format("{} from wall {}", write(Length::millimetres(least), job.notation),
                             best->name);
}

/// "loveseat at right angles to the sofa", "armchair perpendicular to the sofa, on the window
/// side": beyond the sofa's end, before its front, looking across it; on the end that is said, or
/// the one with more room. Where there is none beyond it, inside its end.
void atRightAngles(const std::string& line, const Project& job, std::vector<std::string>& out) {
    if (!mentions(line, {"right angle", "perpendicular", "90 degrees"}))
        return;
    static const Saying words(
        "(?:(?:put|place|set|stand|add|move|turn|have) )?((?:an? |the |my )?(.+?)),? (?:next to "
        "(?:the "
        "|my )?(.+?),? )?(?:at (?:a )?right angles?(?: (?:to|with))?|perpendicular(?: "
        "to)?|"
        "at 90 degrees(?: to)?) ?(?:the |my )?(.*?)(?:,? (?:(?:on|to|at) )?(?:the |its )?([a-z0-9 "
        "]+?)(?:'s|[- ]hand)? (?:side|end))?");
    std::smatch found;
    if (!words.is(line, found))
        return;
    std::string base = found[4].str();
    if (base.empty() || base == "it" || base == "them")
        base = found[3].str();
    // "a second sofa at right angles to the first"
    static const auto another = meaning("(?:an? )?(?:second|another|new|other) (.+)");
    std::string thing = found[2];
    std::smatch one;
    const bool isNew = std::regex_match(thing, one, another);
    if (isNew)
        thing = one[1];
    if (isNew && (base == "first" || base == "first one" || base == "other" || base == "other one"))
        base = thing;
    const auto it = standsNamed(base, job);
    const Piece* there = isNew ? nullptr : pieceNamed(thing, job);
    const KindPtr noun = there != nullptr ? there->kind : nounIn(thing, job);
    if (!it || !noun || !noun->isSeat() || !it.piece->kind->isSeat() || there == it.piece)
        return;
    const Size size = there != nullptr ? there->size : noun->size;
    const Pose& sofa = it.there->pose;
    const double gap = job.library.book->habit("step").mm() * 2;
    const double ahead = it.piece->size.depth.mm() / 2 + gap + size.width.mm() / 2;
    const auto away = [&](double aside, double beyond) {
        return sofa.at + sofa.front() * ahead +
               sofa.right() *
                   (aside * (it.piece->size.width.mm() / 2 + beyond * size.depth.mm() / 2));
    };
    // How far the wall is beyond an end, less than nothing where the seat goes through it.
    const auto room = [&](double aside, double beyond) {
        const Vec2 at = away(aside, beyond);
        double least = 1e300;
        for (const Wall& w : job.room->walls)
            if (dot(w.inward(), sofa.right() * aside) < -0.7)
                least = std::min(least, dot(at - w.start, w.inward()) - size.depth.mm() / 2);
        return least;
    };
    double aside = room(1, 1) >= room(-1, 1) ? 1 : -1;
    if (found[5].matched) {
        const auto side = foldCase(found[5].str());
        std::optional<double> told;
        if (side == "left" || side == "right")
            told = side == "right" ? 1 : -1;
        // Of several windows, where all are on one side.
        for (const auto& [name, t] : targetsNamed(side, job)) {
            const double is = dot(middleOf(t, *it.scene) - sofa.at, sofa.right()) > 0 ? 1 : -1;
            if (told && *told != is)
                return;
            told = is;
        }
        if (!told)
            return;
        aside = *told;
    }
    const Vec2 at = away(aside, room(aside, 1) >= 0 ? 1 : -1);
    const auto across = fromWallBehind(job, at, sofa.right(), size.depth.mm() / 2);
    const auto along = fromWallBehind(job, at, sofa.front(), size.width.mm() / 2);
    if (across.empty() || along.empty())
        return;
    out.push_back(fmt::format("{}{} turned {:.1f}, {}, {}", there != nullptr ? "" : "add ",
                              there != nullptr ? there->name
                              : isNew          ? "a " + thing
                                               : found[1].str(),
                              turnToFace(sofa.right() * -aside).inDegrees(), across, along));
}

/// "a small table 40 across by the armchair": one to set a cup on, and none to eat at.
void tableBesideASeat(const std::string& line, const Project& job, std::vector<std::string>& out) {
    static const Saying words(
        "((?:put |place |add |set |stand )?)(?:an? )?(?:(?:small|little|tiny|low|round|square|"
        "occasional) )+table( [0-9][^,]*?)?(?: across)?,? (next to|beside|by|at the (?:end|side) "
        "of|near|left of|right of) (?:the |my )?([a-z0-9 ]+?)(,.*)?");
    std::smatch found;
    if (!words.is(line, found))
        return;
    const Piece* by = pieceNamed(found[4], job);
    if (by == nullptr || !by->kind->isSeat() || by->kind->role == Role::diningChair)
        return;
    if (found[2].matched)
        if (const auto wide = scanLength(std::string(trimmed(found[2].str())), job.notation.units);
            wide && wide->value > job.library.book->habit("eaten-at"))
            return;
    const bool round = foldCase(line).find("round ") != std::string::npos;
    out.push_back(fmt::format("{}a {}{} {} {}{}", found[1].str(),
                              round ? "round side table" : "side table", found[2].str(),
                              found[3].str(), by->name, found[5].str()));
}

/// "turn the chairs in a little", "angle the armchair inward": each a little toward the middle of
/// all of them, and of the room for one.
void turnedIn(const std::string& line, const Project& job, std::vector<std::string>& out) {
    if (!mentions(line, {" in", "inward"}))
        return;
    static const Saying words(
        "(?:turn|angle|toe|swing|rotate|twist|tilt|cant) (.+?)(?: (?:a (?:bit|little|"
        "touch)|slightly))? (?:in|inward|inwards)(?: "
        "(?:a (?:bit|"
        "little|touch)|slightly|some))?(?: (?:by )?([0-9.]+) ?(?:degrees?|°)?)?(?: "
        "(?:toward|towards) "
        "(?:each other|the (?:middle|centre|center)(?: of the room)?))?");
    std::smatch found;
    if (!words.is(line, found))
        return;
    const auto stand = severalStanding(found[1], job);
    if (stand.all.empty())
        return;
    Vec2 middle = job.room->middle();
    if (stand.all.size() > 1) {
        middle = {};
        for (const auto& [p, there] : stand.all)
            middle = middle + there->pose.at / static_cast<double>(stand.all.size());
    }
    const std::string by = found[2].matched ? found[2].str() : "15";
    std::string lines;
    for (const auto& [p, where] : stand.all) {
        const Placed* there = where; // a binding can't be captured
        Pose turned = there->pose;
        const auto toward = [&](double degrees) {
            turned.turn = there->pose.turn + Angle::degrees(degrees);
            return dot(turned.front(), middle - there->pose.at);
        };
        lines += fmt::format("{}turn {} {}{}", lines.empty() ? "" : "; then ", p->name,
                             toward(1) < toward(-1) ? "-" : "", by);
    }
    out.push_back(std::move(lines));
}

/// "put the armchairs in front of the windows", of as many: one at each, the nearest.
void oneAtEach(const std::string& line, const Project& job, std::vector<std::string>& out) {
    if (!mentions(line, {"windows", "doors"}))
        return;
    static const Saying words(
        "(?:(?:put|move|place|set|stand|push|hang|have) )?((?:the |my |both |both the )?[a-z ]+?s) "
        "(in front of|under|below|by|at|beside|next to|against|before) (?:the |both |both the "
        ")?(window|door)s");
    std::smatch found;
    if (!words.is(line, found))
        return;
    auto all = piecesNamed(found[1], job);
    if (all.empty())
        all = piecesNamed("the " + found[1].str(), job);
    const auto kind = foldCase(found[3].str()) == "door" ? OpeningKind::door : OpeningKind::window;
    std::vector<const Opening*> openings;
    for (const Opening& o : job.room->openings)
        if (o.kind == kind)
            openings.push_back(&o);
    const auto scene = sceneOf(job);
    if (all.size() < 2 || all.size() != openings.size() || !scene)
        return;
    std::string lines;
    std::vector<const Piece*> left = all;
    for (const Opening* o : openings) {
        const Vec2 at = middleOf(targetOf(*o), **scene);
        const auto far = [&](const Piece* p) {
            const Placed* there = (*scene)->fromAbove(p->id);
            return there != nullptr ? norm(there->pose.at - at) : 0.0;
        };
        const auto best =
            std::min_element(left.begin(), left.end(),
                             [&](const Piece* a, const Piece* b) { return far(a) < far(b); });
        lines += fmt::format("{}move {} {} {}", lines.empty() ? "" : "; then ", (*best)->name,
                             found[2].str(), o->name());
        left.erase(best);
    }
    out.push_back(std::move(lines));
}

/// "armchairs at the ends of the table", where chairs stand there: in their place.
void armchairsAtEnds(const std::string& line, const Project& job, std::vector<std::string>& out) {
    if (!mentions(line, {"armchair", "carver"}))
        return;
    static const auto words = meaning(
        "(?:(?:put|place|add|set|have) )?(?:the |two |a pair of )?(?:dining )?(?:armchairs|carvers|"
        "armchair) (?:at|on) (?:the|each|both|either) (?:heads?|ends?)(?: of (?:the |my "
        ")?.*table)?");
    if (std::regex_match(line, words) && !endChairs(job.scheme()).empty())
        out.push_back("replace the end chairs by dining armchairs");
}

/// "shelves above the sideboard, 30 and 60 above it": one at each height.
void oneAtEachHeight(const std::string& line, const Project&, std::vector<std::string>& out) {
    if (!mentions(line, {" and "}))
        return;
    static const auto words = meaning(
        "(?:(?:hang|put|add) )?(?:two |2 )?([a-z ]+?)s (?:above|over) ((?:the |my )?[a-z0-9 ]+?),? "
        "([0-"
        "9][^ ,]*(?: ?(?:cm|mm|m|in|inch|inches|ft|feet|foot))?) and ([0-9].*?) (?:above|over|up "
        "from) (?:it|that|them|the [a-z ]+)");
    std::smatch found;
    if (std::regex_match(line, found, words))
        out.push_back(fmt::format("add a {0} {2} above {1}; then add a {0} {3} above {1}",
                                  plainWord(found[1].str() + "s"), found[2].str(), found[3].str(),
                                  found[4].str()));
}

/// "lamp at one end of the sideboard", "vase at the other end of it": on it, where it has a top and
/// such things stand on tops, and not on the floor beside it. The other end is the one farther from
/// what stands there.
void onEndOfTop(const std::string& line, const Project& job, std::vector<std::string>& out) {
    if (!mentions(line, {"end of", "side of", "corner of", "on the left of", "on the right of"}))
        return;
    static const Saying words(
        "((?:put |place |add |set |stand |move )?(?:an? |another |the )?)([a-z -]+?) (?:on|at|to) "
        "(?:the )?"
        "(left|right|one|an|other|opposite|far)(?:[- ]hand)?(?: (end|side|corner))? of (?:the |my "
        ")?(.+)");
    std::smatch found;
    if (!words.is(line, found))
        return;
    const Piece* on = pieceNamed(found[5], job);
    if (on != nullptr && on->on.isCarried() && !on->kind->hasTop())
        on = job.scheme().byId(on->on.piece); // a lamp has no ends
    if (on == nullptr || !on->kind->hasTop() || on->kind->isSeat() || on->kind->role == Role::bed)
        return;
    const auto noun = foldCase(found[2].str());
    const bool lamp = noun == "lamp";
    const Piece* there = pieceNamed(found[2], job);
    const KindPtr kind = there != nullptr ? there->kind : job.library.kit->byWord(noun);
    if (lamp ? !found[4].matched : !kind || !kind->standsOn())
        return;
    auto side = foldCase(found[3].str());
    if (side != "left" && side != "right") {
        double sum = 0; // mm from its middle
        for (const Piece& p : job.scheme().pieces)
            if (p.on.isCarried() && p.on.piece == on->id && &p != there)
                sum += p.pose.at.x;
        const bool other = side == "other" || side == "opposite" || side == "far";
        side = other && sum < 0 ? "right" : "left";
    }
    out.push_back(fmt::format("{}{} on the {} end of {}", found[1].str(),
                              lamp ? "table lamp" : found[2].str(), side, on->name));
}

/// "table 84 x 40 in the middle": as large as what is eaten at, or in a dining room; where there is
/// no such table yet.
void tableToEatAt(const std::string& line, const Project& job, std::vector<std::string>& out) {
    static const Saying words(
        "((?:put |place |add |set |stand )?)(?:an? )?table(?: ([0-9][^,a-z]*?(?:cm|mm|m|in|ft)?)"
        " ?(?:x|by) ?([0-9][0-9./ ]*(?:\"|'|cm|mm|m|inches|in|ft)?))?((?:,| ).*)?");
    std::smatch found;
    if (!words.is(line, found))
        return;
    for (const Piece& p : job.scheme().pieces)
        if (p.kind->role == Role::diningTable)
            return;
    const bool sized = found[2].matched;
    if (sized) {
        const auto wide = readLength(found[2].str(), job.notation.units);
        const auto deep = readLength(found[3].str(), job.notation.units);
        const RuleBook& book = *job.library.book;
        if (!wide || !deep || *wide < book.habit("eaten-at-long") || *deep < book.habit("eaten-at"))
            return;
    } else if (foldCase(job.room->name).find("dining") == std::string::npos) {
        return;
    }
    out.push_back(fmt::format("{}a dining table{}{}", found[1].str(),
                              sized ? " " + found[2].str() + " x " + found[3].str() : std::string(),
                              found[4].str()));
}

/// "put the tv on the sideboard", of one that hangs: one that stands takes its place, as large.
void screenOnATop(const std::string& line, const Project& job, std::vector<std::string>& out) {
    if (!mentions(line, {"tv", "television", "screen", "telly"}))
        return;
    static const Saying words(
        "(?:put|place|move|set|stand|have) ((?:the |my )?[a-z0-9 ]+?) on (?:top of )?(?:the |my )?"
        "([a-z0-9 ]+?)(?: instead)?");
    std::smatch found;
    if (!words.is(line, found))
        return;
    const Piece* tv = pieceNamed(found[1], job);
    const Piece* on = pieceNamed(found[2], job);
    if (tv == nullptr || on == nullptr || tv->kind->family != Family::screen || !tv->onWall() ||
        !on->kind->hasTop())
        return;
    out.push_back(fmt::format("remove {}; then add television {} wide {} high on {}", tv->name,
                              write(tv->size.width, job.notation),
                              write(tv->size.height, job.notation), on->name));
}

/// "note on the sofa: washable cover": on the list, where a thing's notes are, and not of the
/// scheme.
void noteOfAPiece(const std::string& line, const Project& job, std::vector<std::string>& out) {
    static const Saying words("(?:add |make |put )?(?:an? )?note (?:on|for|about|of|to) "
                              "(?:the |my )?([^:,]+?)(?::|,| that| "
                              "saying) ?(.+)");
    std::smatch found;
    if (!words.is(line, found))
        return;
    const auto text = found[2].str();
    if (const Piece* p = pieceNamed(found[1], job); p != nullptr && text.find(';') == text.npos)
        out.push_back(fmt::format("list {} note {}", p->name, text));
}

/// "second armchair next to the first": the first of that kind, whatever was spoken of last.
void besideTheFirst(const std::string& line, const Project& job, std::vector<std::string>& out) {
    if (!mentions(line, {"the first", "the other"}))
        return;
    static const Saying words("(?:(?:put|place|add|set|stand|hang) )?(?:another|an? "
                              "second|second|the second) ([a-z -]+?),? (next "
                              "to|beside|by|opposite|across from|facing|left of|right "
                              "of|behind|in front of) the (?:first|"
                              "other)(?: one)?(,.*)?");
    std::smatch found;
    if (!words.is(line, found))
        return;
    if (const Piece* p = pieceNamed(found[1], job))
        out.push_back(
            fmt::format("another {0} {1} {0}{2}", p->name, found[2].str(), found[3].str()));
}

/// "two sofas facing each other in front of the fireplace": their ends toward it, one each side of
/// its middle line, as far apart as one talks, and a way free before what they stand at.
void sofasAcross(const std::string& line, const Project& job, std::vector<std::string>& out) {
    static const Saying words(
        "(?:(?:put|place|add|set|have) )?(?:two|2|a pair of) ([a-z -]+?)s( [0-9].*?)?,? "
        "facing (?:each "
        "other|one another),? (?:in front of|before|by|at|either side of|on either side of|"
        "perpendicular to|around) (?:the )?(.+)");
    std::smatch found;
    if (!words.is(line, found))
        return;
    const KindPtr kind = job.library.kit->byWord(found[1].str());
    const auto at = targetNamed(found[3], job, false);
    const auto wall = at ? wallIn(*at, *job.room) : std::nullopt;
    const auto scene = sceneOf(job);
    if (!kind || kind->role != Role::sofa || !wall || at->is == Target::Is::wall || !scene)
        return;
    Piece any = pieceOf(kind);
    if (found[2].matched) {
        const std::string size = found[2];
        WordsReader in(size, job);
        std::vector<std::string> notices;
        try {
            readSizesIfAny(in, any, notices);
        } catch (const LineFault&) {
            return;
        }
    }
    const Wall& w = job.room->walls[static_cast<std::size_t>(*wall)];
    const Fixture* f = fixtureOf(*job.room, *at);
    const double mantel = f != nullptr ? (f->depth + f->hearthDepth).mm() : 0;
    const double off = mantel + usualBy(job, "walkway-minor").mm() + any.size.width.mm() / 2;
    const double aside = usualBy(job, "conversation").mm() / 2 + any.size.depth.mm() / 2;
    const double middle = dot(middleOf(*at, **scene) - w.start, w.along());
    std::vector<std::string> lines;
    for (const double side : {-1.0, 1.0}) {
        const Vec2 place = w.start + w.along() * (middle + side * aside) + w.inward() * off;
        lines.push_back(fmt::format("add {}{} at {}, {}, turned {:.1f}", found[1].str(),
                                    found[2].str(),
                                    write(Length::millimetres(place.x), job.notation),
                                    write(Length::millimetres(place.y), job.notation),
                                    turnToFace(w.along() * -side).inDegrees()));
    }
    out.push_back(fmt::format("{}", fmt::join(lines, "; then ")));
}

/// "make the round rug square, 8 feet": one of that outline takes its place.
void madeSquare(const std::string& line, const Project& job, std::vector<std::string>& out) {
    if (!mentions(line, {"square", "rectangular", "oblong"}))
        return;
    static const Saying words(
        "(?:make|have) (.+?) (?:a )?(?:square|rectangular|rectangle|oblong)(?:,? (?:and |at "
        ")?([0-9].*?))?(?: (?:across|wide|each way|a side|square))?");
    std::smatch found;
    if (!words.is(line, found))
        return;
    const Piece* p = pieceNamed(found[1], job);
    if (p == nullptr || p->footprint.form != FootprintForm::oval)
        return;
    const auto name = plainWord(p->kind->name);
    const KindPtr kind = job.library.kit->byWord(name.starts_with("round ")  ? name.substr(6)
                                                 : name.starts_with("oval ") ? name.substr(5)
                                                                             : name);
    const KindPtr other = kind && kind->footprint.form != FootprintForm::oval ? kind
                          : p->kind->isSatInTo() ? job.library.kit->byWord("dining table")
                                                 : nullptr;
    if (!other)
        return;
    std::string size = found[2].str();
    if (size.empty())
        size = fmt::format("{} x {}", write(p->size.width, job.notation),
                           write(p->size.depth, job.notation));
    else if (size.find('x') == std::string::npos && size.find(" by ") == std::string::npos)
        size = fmt::format("{0} x {0}", size);
    out.push_back(fmt::format("replace {} by a {} {}", p->name, other->name, size));
}

/// "tv to the right of the fireplace": on the wall there, since none stands on the floor.
void screenBesideAnOpening(const std::string& line, const Project& job,
                           std::vector<std::string>& out) {
    static const Saying words(
        "((?:put|place|add|have|mount|hang) )?(?:an? |the )?((?:[0-9]+ ?(?:inch|in|"
        "\")? )?)(?:tv|television)((?: [0-9]+ ?(?:inch|in|\"|inches))?),? ((?:to "
        "the |on the )?(?:(?:left|right)(?: side)? of|next to|beside|by) (?:the "
        ")?(.+))");
    std::smatch found;
    if (!words.is(line, found))
        return;
    const auto t = targetNamed(found[5], job);
    const auto& pieces = job.scheme().pieces;
    if (!t || t->is == Target::Is::piece || t->is == Target::Is::wall ||
        std::any_of(pieces.begin(), pieces.end(),
                    [](const Piece& p) { return p.kind->family == Family::screen; }))
        return;
    out.push_back(fmt::format("{}{}wall screen{} {}", found[1].str(), found[2].str(),
                              found[3].str(), found[4].str()));
}

/// "window seat", in a room with one window: under that.
void seatAtTheWindow(const std::string& line, const Project& job, std::vector<std::string>& out) {
    static const Saying words("((?:put|place|add|have|build) )?(?:an? )?window (seat|bench)");
    std::smatch found;
    const auto& all = job.room->openings;
    const auto isWindow = [](const Opening& o) { return o.kind == OpeningKind::window; };
    if (words.is(line, found) && std::count_if(all.begin(), all.end(), isWindow) == 1)
        out.push_back(found[1].str() + "a window seat under " +
                      std::find_if(all.begin(), all.end(), isWindow)->name());
}

/// "two small rugs beside the bed": one on each side.
void pairBesideABed(const std::string& line, const Project&, std::vector<std::string>& out) {
    static const Saying words(
        "((?:put |place |add |set |lay )?)((?:two|2|a pair of) (?!wall )[a-z -]+?s) "
        "(?:beside|next to|by) ((?:the |my )?(?:[a-z]+ )?(?:bed|sofa|couch|"
        "loveseat|settee))");
    std::smatch found;
    if (words.is(line, found))
        out.push_back(
            fmt::format("{}{} either side of {}", found[1].str(), found[2].str(), found[3].str()));
}

/// "a pendant over each nightstand", "pendants either side of the bed": a small one, as hangs
/// there.
void pendantByABed(const std::string& line, const Project& job, std::vector<std::string>& out) {
    static const Saying over(
        "((?:put|place|add|hang|have) )?(?:(an?|one|two|2|a pair of) )?pendants?(?: lights?| "
        "lamps?)? (?:over|above) (each |both |the |my )?(?:of the )?((?:left |right "
        ")?(?:nightstand|bedside "
        "table|night "
        "table|night stand|bedside cabinet))(s?)(,.*)?");
    static const Saying beside(
        "((?:(?:put|place|add|hang|have) )?(?:an? |two |2 |a pair of |one )?)(pendants?)(?: "
        "lights?| "
        "lamps?)? ((?:by|at|beside|next to|either side of|(?:on|at) (?:each|either|both) sides? "
        "of|left of|right of) (?:the |my )?(?:[a-z]+ )?bed)(,.*)?");
    std::smatch found;
    if (over.is(line, found)) {
        const auto which = foldCase(found[3].str());
        const bool each = found[5].length() > 0 || which == "each " || which == "both ";
        const auto count = foldCase(found[2].str());
        // Over several where there is one: it is asked about.
        if (found[5].length() > 0 && piecesNamed("the " + found[4].str() + "s", job).size() < 2)
            return;
        if (each || count.empty() || count == "a" || count == "one")
            out.push_back(fmt::format("{}a small pendant over {} {}{}", found[1].str(),
                                      each ? "each" : "the", found[4].str(), found[6].str()));
    } else if (beside.is(line, found)) {
        out.push_back(fmt::format("{}small {} {}{}", found[1].str(), found[2].str(), found[3].str(),
                                  found[4].str()));
    }
}

/// "make the rug 200 x 300", which would go through a wall so: the other way round, where it would
/// not; a rug has no front.
void rugSized(const std::string& line, const Project& job, std::vector<std::string>& out) {
    static const Saying words(
        "(?:make|size|resize|have) (.+?) (?:to )?([0-9][^x]*?) ?(?:x|by) ?([0-9].*)");
    std::smatch found;
    if (!words.is(line, found))
        return;
    const Piece* p = pieceNamed(found[1], job);
    if (p == nullptr || !p->kind->flat() || p->footprint.form != FootprintForm::rectangle)
        return;
    const auto through = [&](const std::string& said) {
        const auto read = readLine(said, job);
        const auto after = read ? apply(job, read->edit) : Result<Applied>(Problem{});
        return !after || !harmOf(*after->project, *after->scene, {p->id}).empty();
    };
    const auto sized = [&](const std::string& a, const std::string& b) {
        return fmt::format("size {} {} x {}", p->name, a, b);
    };
    if (const auto other = sized(found[3], found[2]);
        through(sized(found[2], found[3])) && !through(other))
        out.push_back(other);
}

} // namespace

std::vector<Meaning> meaningsFirst() {
    return {atRightAngles,   tableBesideASeat, turnedIn,      oneAtEach,
            oneAtEachHeight, onEndOfTop,       tableToEatAt,  noteOfAPiece,
            sofasAcross,     besideTheFirst,   screenOnATop,  armchairsAtEnds,
            madeSquare,      rugSized,         pendantByABed, screenBesideAnOpening,
            seatAtTheWindow, pairBesideABed};
}

} // namespace mezzet
