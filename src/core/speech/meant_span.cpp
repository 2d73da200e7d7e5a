// Tops in one line, the ends of a room, the opening by a thing, as large as there is room.
#include "edit/beside_wall.h"
#include "edit/words_reader.h"
#include "fits/fits.h"
#include "measure/text.h"
#include "scheme/on_wall.h"
#include "speech/meant_words.h"

#include <fmt/format.h>

#include <algorithm>
#include <cmath>

namespace mezzet {

namespace {

/// "line the pictures up along the top", "align the bottoms of the pictures": level with the first.
void edgesInLine(const std::string& line, const Project& job, std::vector<std::string>& out) {
    if (!mentions(line, {"line", "align", "level", "even"}))
        return;
    static const auto last =
        meaning("(?:line up|line|align|even up|level|get|have|put) (.+?)(?: up)?,? (?:along|at|by|"
                "on|with|so)(?: (?:the|their|its))? (tops?|bottoms?|centres?|centers?|middles?|top "
                "edges?|bottom edges?|lower edges?|upper edges?)(?: (?:are )?in line| line up| are "
                "level|level)?");
    static const auto first =
        meaning("(?:line up|align|even up|level|get) (?:the )?(tops?|bottoms?|centres?|centers?|"
                "middles?|top edges?|bottom edges?|lower edges?|upper edges?) of (.+?)(?: in line| "
                "level)?");
    std::smatch found;
    const bool named = std::regex_match(line, found, first);
    if (!named && !std::regex_match(line, found, last))
        return;
    const auto edge = foldCase(found[named ? 1 : 2].str());
    auto all = piecesNamed(found[named ? 2 : 1], job);
    if (all.size() < 2 ||
        !std::all_of(all.begin(), all.end(), [](const Piece* p) { return p->onWall(); }))
        return;
    const bool top = edge.starts_with("top") || edge.starts_with("upper");
    const bool middle = edge.starts_with("cent") || edge.starts_with("middle");
    std::string lines;
    for (std::size_t i = 1; i < all.size(); ++i)
        lines += fmt::format("{}{}, {} with {}", lines.empty() ? "" : "; then ", all[i]->name,
                             top      ? "top"
                             : middle ? "centre"
                                      : "bottom",
                             all[0]->name);
    out.push_back(std::move(lines));
}

/// The two walls at the ends of a room that is longer than wide, from the wall it begins at; none
/// for one that is about square, or whose ends are not one wall each.
std::vector<int> endWalls(const Room& room) {
    const auto box = room.bounds();
    const Vec2 size = box.size();
    constexpr double longer = 1.15;
    if (!room.closed || std::max(size.x, size.y) < longer * std::min(size.x, size.y))
        return {};
    const Vec2 along = size.x > size.y ? Vec2{1, 0} : Vec2{0, 1};
    constexpr double square = 0.95;
    std::vector<int> out;
    for (std::size_t i = 0; i < room.walls.size(); ++i)
        if (std::abs(dot(room.walls[i].inward(), along)) > square)
            out.push_back(static_cast<int>(i));
    const bool facing =
        out.size() == 2 && dot(room.walls[static_cast<std::size_t>(out[0])].inward(),
                               room.walls[static_cast<std::size_t>(out[1])].inward()) < -square;
    return facing ? out : std::vector<int>();
}

/// "a chair at the end of the hall", "the dining table at the other end of the room": the end that
/// has no door where the other has one; the other end is the one farther from what stands there.
void endOfRoom(const std::string& line, const Project& job, std::vector<std::string>& out) {
    static const Saying words(
        "(.+?) (?:at|to|in|by|down at|on) (?:the )?((?:other|far|opposite|empty|free) )?end of the "
        "(?:room|hall|hallway|corridor|passage|landing|space)\\b,?(?: (with .+))?");
    std::smatch found;
    if (!words.is(line, found))
        return;
    const Room& room = *job.room;
    const auto ends = endWalls(room);
    const auto scene = sceneOf(job);
    const KindPtr kind = nounIn(found[1].str(), job); // none for "a chair", whichever it is
    if (ends.empty() || !scene)
        return;
    const auto wall = [&](std::size_t i) -> const Wall& {
        return room.walls[static_cast<std::size_t>(ends[i])];
    };
    std::optional<std::size_t> end;
    if (found[2].matched) {
        // Away from the middle of what stands.
        Vec2 sum;
        int n = 0;
        for (const Placed& p : (*scene)->floor.placed)
            if (!(*scene)->pieceById(p.id)->kind->flat()) {
                sum = sum + p.pose.at;
                ++n;
            }
        if (n == 0)
            return;
        const Vec2 middle = sum / n;
        const double a = dot(middle - wall(0).start, wall(0).inward());
        const double b = dot(middle - wall(1).start, wall(1).inward());
        constexpr double clearly = 300; // mm
        if (std::abs(a - b) > clearly)
            end = a > b ? 0U : 1U;
    } else {
        const auto hasDoor = [&](std::size_t i) {
            return std::any_of(room.openings.begin(), room.openings.end(), [&](const Opening& o) {
                return o.wall == ends[i] && o.kind != OpeningKind::window;
            });
        };
        if (hasDoor(0) != hasDoor(1))
            end = hasDoor(0) ? 1U : 0U;
    }
    if (!end)
        return;
    const auto with = found[3].matched ? " " + found[3].str() : std::string();
    const Wall& w = wall(*end);
    if (kind && kind->hangs()) {
        out.push_back(fmt::format("{} on wall {}{}", found[1].str(), w.name, with));
    } else if (kind &&
               (kind->role == Role::diningTable || kind->role == Role::lowTable || kind->flat())) {
        // In the middle of that half.
        const double deep = std::abs(dot(wall(1 - *end).start - w.start, w.inward()));
        const Vec2 at = w.start + w.along() * (w.length().mm() / 2) + w.inward() * (deep / 4);
        out.push_back(fmt::format("{} at {}, {}{}", found[1].str(),
                                  write(Length::millimetres(at.x), job.notation),
                                  write(Length::millimetres(at.y), job.notation), with));
    } else {
        out.push_back(fmt::format("{0} against wall {1}, centred on wall {1}{2}", found[1].str(),
                                  w.name, with));
        out.push_back(fmt::format("{} against wall {}{}", found[1].str(), w.name, with));
    }
}

/// "the window by the fire", "the door nearest the sofa": the one that is clearly nearer than the
/// others.
void openingBy(const std::string& line, const Project& job, std::vector<std::string>& out) {
    if (!mentions(line, {"window", "door"}))
        return;
    static const auto words = meaning(
        "\\bthe (window|door) (?:(?:that's|that is|which is) )?(?:by|near|nearest to|nearest|"
        "closest to|next to|beside|close to) (?:the |my )?([a-z][a-z -]*?[a-z](?: "
        "[0-9]+)?)(?=,|$)");
    std::smatch found;
    if (!std::regex_search(line, found, words))
        return;
    const auto scene = sceneOf(job);
    const auto to = targetNamed(found[2], job);
    if (!scene || !to)
        return;
    const auto kind = foldCase(found[1].str()) == "door" ? OpeningKind::door : OpeningKind::window;
    std::optional<Vec2> at;
    if (to->is == Target::Is::piece) {
        if (const Placed* p = (*scene)->inPlan(to->piece))
            at = p->pose.at;
    } else if (const auto wall = wallIn(*to, *job.room); wall && to->is != Target::Is::wall) {
        if (const auto box = boxOn(*to, *wall, **scene)) {
            const Wall& w = job.room->walls[static_cast<std::size_t>(*wall)];
            at = w.start + w.along() * box->centre().x;
        }
    }
    if (!at)
        return;
    const Opening* best = nullptr;
    double least = 0;
    double next = 0;
    for (const Opening& o : job.room->openings) {
        if (o.kind != kind || targetOf(o) == *to)
            continue;
        const Wall& w = job.room->walls[static_cast<std::size_t>(o.wall)];
        const double far = norm(w.at(o.left + o.width / 2) - *at);
        if (best == nullptr || far < least) {
            next = best == nullptr ? 1e300 : least;
            best = &o;
            least = far;
        } else {
            next = std::min(next, far);
        }
    }
    constexpr double clearly = 0.75;
    if (best != nullptr && least < clearly * next)
        out.push_back(found.prefix().str() + best->name() + found.suffix().str());
}

/// "the big window": the one that is clearly wider than all others; "the small window".
void openingBySize(const std::string& line, const Project& job, std::vector<std::string>& out) {
    if (!mentions(line, {"window", "door"}))
        return;
    static const auto words = meaning(
        "\\bthe (big|bigger|biggest|large|larger|largest|wide|wider|widest|small|smaller|smallest|"
        "little|narrow|narrower|narrowest) (window|door)\\b(?! ?[0-9])");
    std::smatch found;
    if (!std::regex_search(line, found, words))
        return;
    const auto size = foldCase(found[1].str());
    const bool small = size.starts_with("s") || size.starts_with("li") || size.starts_with("n");
    const auto kind = foldCase(found[2].str()) == "door" ? OpeningKind::door : OpeningKind::window;
    std::vector<const Opening*> all;
    for (const Opening& o : job.room->openings)
        if (o.kind == kind)
            all.push_back(&o);
    std::sort(all.begin(), all.end(), [&](const Opening* a, const Opening* b) {
        return small ? a->width < b->width : a->width > b->width;
    });
    constexpr double clearly = 1.15;
    const bool one = all.size() == 1;
    const bool differs = all.size() > 1 && (small ? all[1]->width / all[0]->width
                                                  : all[0]->width / all[1]->width) > clearly;
    if (one || differs)
        out.push_back(found.prefix().str() + all[0]->name() + found.suffix().str());
}

/// "3 x 3 grid of pictures": so many of them.
void gridOf(const std::string& line, const Project& job, std::vector<std::string>& out) {
    // "two rows of three pictures"
    static const Saying rows(
        "((?:put |hang |add |make )?)([a-z]+|[2-6]) rows of ([a-z]+|[2-6]) ([a-z "
        "]+?s)\\b(.*)");
    if (std::smatch found; rows.is(line, found)) {
        const std::string down = found[2];
        const std::string along = found[3];
        int n = 0;
        int m = 0;
        if (WordsReader(down, job).takeCount(n) && WordsReader(along, job).takeCount(m) &&
            n * m <= 36)
            out.push_back(fmt::format("{}a grid of {} {}{}", found[1].str(), n * m, found[4].str(),
                                      found[5].str()));
    }
    if (!mentions(line, {"grid", "block"}))
        return;
    static const auto words =
        meaning("((?:put |hang |add |make )?)(?:an? )?([2-6]) ?(?:x|by) ?([2-6]) (?:grid|block) of "
                "([a-z ]+?s)\\b(.*)");
    if (std::smatch found; std::regex_match(line, found, words))
        out.push_back(fmt::format("{}a grid of {} {}{}", found[1].str(),
                                  std::stoi(found[2].str()) * std::stoi(found[3].str()),
                                  found[4].str(), found[5].str()));
}

/// "make the console as long as possible": from the one thing beside it to the other, in its wall.
void asLongAsGoes(const std::string& line, const Project& job, std::vector<std::string>& out) {
    if (!mentions(line, {"as long", "as wide", "as big"}))
        return;
    static const Saying words(
        "(?:(?:make|have|get) )?(.+?) as (?:long|wide|big) as (?:possible|it will go|it "
        "goes|it can be|it can|you can|i can|will fit|fits|there is room|the space allows)");
    std::smatch found;
    if (!words.is(line, found))
        return;
    const auto stands = standsNamed(found[1], job);
    if (!stands)
        return;
    const auto wall = wallBehind(*stands.scene, stands.piece->id);
    if (!wall)
        return;
    const auto stretches =
        freeAlong(*stands.scene, *wall, stands.piece->size.depth.mm(), {}, stands.piece->id);
    const Wall& w = job.room->walls[static_cast<std::size_t>(*wall)];
    const double at = dot(stands.there->pose.at - w.start, w.along());
    const auto own = std::find_if(stretches.begin(), stretches.end(),
                                  [&](const auto& s) { return s.first <= at && at <= s.second; });
    if (own == stretches.end())
        return;
    // As one writes it, and no longer than that.
    const double step = isMetric(job.notation.units) ? 10 : 25.4 / 4;
    const double from = std::ceil(own->first / step) * step;
    const double to = std::floor(own->second / step) * step;
    if (to - from <= stands.piece->size.width.mm())
        return;
    const auto said = [&](double mm) { return write(Length::millimetres(mm), job.notation); };
    out.push_back(fmt::format("make {0} {1} wide; then {0} against wall {2}, {3} from the left "
                              "corner",
                              stands.piece->name, said(to - from), wallName(*wall), said(from)));
}

/// "a wall of bookcases on wall D", "bookcases all along wall D", "fill wall D with wardrobes": as
/// many as there is room for, side by side, in the middle of each free stretch.
void fillsWall(const std::string& line, const Project& job, std::vector<std::string>& out) {
    if (!mentions(line, {"fill", "wall of", "along", "length of", "line ", "cover"}))
        return;
    static const auto withThem =
        meaning("(?:fill|line|cover) (?:the )?wall ([a-z]) with ([a-z -]+?)s");
    static const auto along = meaning(
        "(?:put |place |have |add )?(?:some )?([a-z -]+?)s (?:all along|along the whole of|along "
        "all "
        "of|the (?:whole |full )?length of|the whole way along|right along|along) (?:the )?wall "
        "([a-z])");
    static const auto wallOfThem = meaning(
        "(?:put |build |have |add )?(?:an? )?(?:whole |full )?wall of ([a-z -]+?)s (?:on|along|"
        "against|at) (?:the )?wall ([a-z])");
    std::smatch found;
    const bool fill = std::regex_match(line, found, withThem);
    if (!fill && !std::regex_match(line, found, along) &&
        !std::regex_match(line, found, wallOfThem))
        return;
    const auto wall = wallIndex(foldCase(found[fill ? 1 : 2].str()));
    const std::string noun = found[fill ? 2 : 1];
    const KindPtr kind = job.library.kit->byWord(noun);
    const auto scene = sceneOf(job);
    // Chairs along a wall may be any number; what stores things fills it.
    if (!wall || *wall >= static_cast<int>(job.room->walls.size()) || !kind || kind->hangs() ||
        (!fill && kind->family != Family::storage) || !kind->takesFloor() || kind->flat() || !scene)
        return;
    constexpr std::size_t most = 12;
    std::size_t all = 0;
    std::vector<std::string> lines;
    const double wide = kind->size.width.mm();
    for (const auto& [from, to] :
         freeAlong(**scene, *wall, kind->size.depth.mm(), kind->size.height)) {
        const double fit = std::floor((to - from + 0.01) / wide);
        const double first = from + (to - from - fit * wide) / 2;
        if (fit < 1)
            continue;
        lines.push_back(sideBySide(*kind, static_cast<int>(fit), *wall, first, job));
        all += static_cast<std::size_t>(fit);
    }
    if (!lines.empty() && all <= most)
        out.push_back(fmt::format("{}", fmt::join(lines, "; then ")));
}

/// "push the wardrobe to the right until it touches the wall": into that end of its wall; up to
/// what is named otherwise.
void untilItTouches(const std::string& line, const Project& job, std::vector<std::string>& out) {
    if (!mentions(line, {"until", "till", "so it", "so that"}))
        return;
    static const Saying words(
        "(?:push|slide|move|shift|shove|pull|bring) (.+?) (?:over |along |all the way )?(?:to the "
        ")?(left|"
        "right) (?:until|till|so|so that) (?:it|they) (?:touch(?:es)?|reach(?:es)?|meets?|hits?|is "
        "(?:against|at|by|touching)|stops at) (?:the |its )?(.+)");
    std::smatch found;
    if (!words.is(line, found))
        return;
    const Piece* p = pieceNamed(found[1], job);
    const auto scene = sceneOf(job);
    const auto wall = p != nullptr && scene ? wallBehind(**scene, p->id) : std::nullopt;
    if (!wall)
        return;
    const auto side = foldCase(found[2].str());
    const auto to = foldCase(found[3].str());
    if (to == "wall" || to == "corner" || to == "end" || to == "end of the wall") {
        out.push_back(fmt::format("{} {} wall {}, 0 from {} corner", p->name,
                                  p->kind->hangs() ? "on" : "against", wallName(*wall), side));
        return;
    }
    if (const Piece* other = pieceNamed(found[3], job))
        out.push_back(
            fmt::format("{} 0 {} of {}", p->name, side == "right" ? "left" : "right", other->name));
}

/// "move the sconces 2 further from the mirror": along their wall, each on its side of it.
void hungNearer(const std::string& line, const Project& job, std::vector<std::string>& out) {
    static const Saying words(
        "(?:(?:move|push|pull|slide|shift|bring|hang) )?(.+?) ([0-9][^a-z]*?(?: "
        "?(?:cm|mm|m|in|inch|"
        "inches|ft|feet|foot)\\b)?) (further|farther|away|closer|nearer)(?: away)? "
        "(?:from|to) (.+)");
    std::smatch found;
    if (!words.is(line, found))
        return;
    const auto all = piecesNamed(found[1], job);
    const auto of = targetNamed(found[4], job);
    const auto scene = sceneOf(job);
    if (all.empty() || !of || !scene)
        return;
    const auto way = foldCase(found[3].str());
    const bool near = way == "closer" || way == "nearer";
    std::string lines;
    for (const Piece* p : all) {
        const auto own = p->onWall() ? boxOn(pieceTarget(p->id), p->wall(), **scene) : std::nullopt;
        const auto its = own ? boxOn(*of, p->wall(), **scene) : std::nullopt;
        if (!its)
            return;
        const bool right = own->centre().x > its->centre().x;
        lines += fmt::format("{}move {} {} {}", lines.empty() ? "" : "; then ", p->name,
                             found[2].str(), right == near ? "left" : "right");
    }
    out.push_back(std::move(lines));
}

/// "mark the chest as ours": what is had, and what is not yet, by its name on the list.
void markedAs(const std::string& line, const Project& job, std::vector<std::string>& out) {
    static const Saying words(
        "(?:mark|note|list|set) (.+?) as (?:(ours|mine|theirs|owned|had|existing|kept|keep|already "
        "(?:"
        "there|here|ours|bought|owned))|(ordered|delivered|placed|chosen|returned|to find))");
    std::smatch found;
    if (!words.is(line, found))
        return;
    if (const Piece* p = pieceNamed(found[1], job))
        out.push_back(fmt::format("list {} {}", p->name,
                                  found[2].matched ? std::string("keep") : found[3].str()));
}

/// "how far is the desk from the nearest outlet?": the one of them that is nearest to it.
void nearestOf(const std::string& line, const Project& job, std::vector<std::string>& out) {
    static const Saying words("(.*?\\b(?:is|are|move|put|push|pull|slide|bring) )(.+?) ((?:from|to|"
                              "toward|towards|by|next to|beside|under) )(?:the )?(?:nearest|"
                              "closest) ([a-z ]+?)(\\?)?");
    std::smatch found;
    if (!words.is(line, found))
        return;
    const Piece* p = pieceNamed(found[2], job);
    const auto scene = sceneOf(job);
    const Placed* there = p != nullptr && scene ? (*scene)->inPlan(p->id) : nullptr;
    if (there == nullptr)
        return;
    std::string best;
    double least = 1e300;
    for (const auto& [name, t] : targetsNamed(found[4], job, false))
        if (const double far = norm(middleOf(t, **scene) - there->pose.at); far < least) {
            least = far;
            best = name;
        }
    if (!best.empty())
        out.push_back(found[1].str() + p->name + " " + found[3].str() + best + found[5].str());
}

/// "a toy chest at the foot of each bed": the same of every one, where the line's own "each" does
/// not go with those words.
void ofEach(const std::string& line, const Project& job, std::vector<std::string>& out) {
    if (!mentions(line, {"each ", "every "}))
        return;
    static const auto words =
        meaning("((?:(?:put|place|hang|add|set) )?(?:an? |one )?[a-z].*? )(?:each|every) "
                "(?:of the |one of the )?([a-z]+(?: [a-z]+)?)(,.*| (?:at|with) .*|)");
    static const auto verb = meaning("^(?:put|place|hang|add|set) (?:an? |one )?|^(?:an? |one )");
    std::smatch found;
    if (!std::regex_match(line, found, words))
        return;
    const auto all = piecesNamed("the " + found[2].str() + "s", job);
    constexpr std::size_t most = 12;
    if (all.size() < 2 || all.size() > most)
        return;
    const auto begins = std::regex_replace(found[1].str(), verb, "");
    std::string lines;
    for (const Piece* p : all)
        lines += fmt::format("{}add a {}{}{}", lines.empty() ? "" : "; then ", begins, p->name,
                             found[3].str());
    out.push_back(std::move(lines));
}

/// "remove the chair nearest the door": of several, the one that is nearest to that, or farthest.
void theOneNearest(const std::string& line, const Project& job, std::vector<std::string>& out) {
    static const Saying words(
        "(.*?)\\bthe ([a-z]+(?: [a-z]+)?) (?:that is |that's |which is )?(nearest|closest|farthest|"
        "furthest)(?: to| from)? (?:the |my )?([a-z0-9 ]+?)(,? "
        "(?:by|to|with|for|and|[0-9]).*|\\?)?");
    std::smatch found;
    if (!words.is(line, found))
        return;
    const auto all = piecesNamed("the " + found[2].str() + "s", job);
    const auto t = targetNamed(found[4], job);
    const auto scene = sceneOf(job);
    if (all.size() < 2 || !t || !scene)
        return;
    const Vec2 at = middleOf(*t, **scene);
    const bool near =
        foldCase(found[3].str()) == "nearest" || foldCase(found[3].str()) == "closest";
    const auto far = [&](const Piece* p) {
        const Placed* there = (*scene)->inPlan(p->id);
        return there != nullptr ? norm(there->pose.at - at) * (near ? 1 : -1) : 1e300;
    };
    const Piece* best = *std::min_element(
        all.begin(), all.end(), [&](const Piece* a, const Piece* b) { return far(a) < far(b); });
    out.push_back(found[1].str() + best->name + found[5].str());
}

/// "move the coffee table closer", "bring the chairs a bit nearer": to what it is placed by, else
/// to the nearest seat or table; "further away": from it.
void closerToItsOwn(const std::string& line, const Project& job, std::vector<std::string>& out) {
    static const Saying words("(?:move|bring|pull|push|slide|scoot|shift|nudge|put|draw) "
                              "(.+?)(?: (?:in|out))?(?: (?:a (?:bit|"
                              "little|touch|tad)|slightly|some))?(?: ([0-9].*?))? "
                              "(closer|nearer|closer in|nearer in|(?:a "
                              "bit )?further away|farther away|further off|farther "
                              "off|away|further|farther)(?: (?:by )?([0-"
                              "9].*?))?(?: (?:a (?:bit|little|touch)|slightly))?");
    std::smatch found;
    if (!words.is(line, found))
        return;
    const auto stand = severalStanding(found[1], job);
    if (stand.all.empty())
        return;
    const auto isOne = [&](const Piece& p) {
        return std::any_of(stand.all.begin(), stand.all.end(),
                           [&](const auto& s) { return s.first == &p; });
    };
    const auto nearestSeat = [&](const Placed& there) {
        const Piece* best = nullptr;
        double least = 1e300;
        for (const Piece& o : job.scheme().pieces) {
            const bool is =
                o.kind->isSeat() || o.kind->family == Family::table || o.kind->role == Role::bed;
            const Placed* where = is && o.on.isFloor() && !o.kind->flat() && !isOne(o)
                                      ? stand.scene->fromAbove(o.id)
                                      : nullptr;
            if (where == nullptr)
                continue;
            if (const double far = norm(where->pose.at - there.pose.at); far < least) {
                least = far;
                best = &o;
            }
        }
        return best;
    };
    const auto way = foldCase(found[3].str());
    const bool near = way.starts_with("closer") || way.starts_with("nearer");
    const std::string by = found[2].matched ? found[2].str()
                           : found[4].matched
                               ? found[4].str()
                               : write(job.library.book->habit("step"), job.notation);
    std::string lines;
    for (const auto& [p, there] : stand.all) {
        const Piece* to = nullptr;
        for (const Tie& t : p->ties)
            if (t.fixesPlace() && t.of.is == Target::Is::piece)
                to = job.scheme().byId(t.of.piece);
        if (to == nullptr)
            to = nearestSeat(*there);
        if (to == nullptr)
            return;
        lines += fmt::format("{}move {} {} {} {}", lines.empty() ? "" : "; then ", p->name, by,
                             near ? "toward" : "away from", to->name);
    }
    out.push_back(std::move(lines));
}

} // namespace

std::vector<Meaning> meaningsOfSpan() {
    return {untilItTouches, hungNearer,     markedAs,  nearestOf,   ofEach,
            theOneNearest,  closerToItsOwn, fillsWall, edgesInLine, endOfRoom,
            openingBy,      openingBySize,  gridOf,    asLongAsGoes};
}

} // namespace mezzet
