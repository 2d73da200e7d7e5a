#include "edit/sizes_said.h"

#include "edit/arrange.h"
#include "edit/new_piece.h"
#include "edit/phrase.h"
#include "measure/text.h"
#include "measure/texts.h"

#include <algorithm>
#include <cmath>

namespace mezzet {

namespace {

/// Sizes each said with its word or letter, in any order.
struct SizesSaid {
    std::optional<Length> width, depth, height;
    std::optional<Length> length; ///< how wide, or of a bed how deep
};

/// Which size a letter is of; null for none.
std::optional<Length>* slotOf(SizesSaid& s, char letter) {
    switch (letter) {
    case 'w':
    case 'W':
        return &s.width;
    case 'd':
    case 'D':
        return &s.depth;
    case 'h':
    case 'H':
        return &s.height;
    default:
        return nullptr;
    }
}

bool figureAt(std::string_view s, std::size_t i) {
    return i < s.size() && s[i] >= '0' && s[i] <= '9';
}

/// Two or more of them, or any with a letter; none, and nothing read, otherwise.
std::optional<SizesSaid> readLabelled(WordsReader& in) {
    SizesSaid out;
    const std::size_t start = in.at();
    std::size_t end = start;
    int said = 0;
    bool byLetter = false;
    while (said < 3) {
        if (said > 0 && !in.comma())
            in.take({"and", "by", "x"});
        const std::size_t at = in.at();
        const auto rest = in.rest();
        std::optional<Length>* slot = rest.empty() ? nullptr : slotOf(out, rest.front());
        Length size;
        if (slot != nullptr && figureAt(rest, rest.size() > 1 && rest[1] == ' ' ? 2 : 1)) {
            in.goTo(at + 1);
            size = in.length("the size");
            byLetter = true;
        } else if (in.lengthAhead()) {
            size = in.length("the size");
            // "48w", "48\" W"
            const auto after = in.rest();
            const bool letter =
                !after.empty() && slotOf(out, after.front()) != nullptr &&
                (after.size() == 1 || after[1] == ' ' || after[1] == ',' || after[1] == 'x');
            if (letter) {
                slot = slotOf(out, after.front());
                in.goTo(in.at() + 1);
                byLetter = true;
            } else
                slot = in.take({"wide", "in width"})            ? &out.width
                       : in.take({"long", "in length"})         ? &out.length
                       : in.take({"deep", "in depth"})          ? &out.depth
                       : in.take({"high", "tall", "in height"}) ? &out.height
                                                                : nullptr;
        } else {
            slot = nullptr;
        }
        if (slot == nullptr)
            break;
        if (*slot)
            in.fail(at, in.at() - at, "this size is said twice", "say it once");
        *slot = size;
        end = in.at();
        ++said;
    }
    if (said < 2 && !byLetter) {
        in.goTo(start);
        return {};
    }
    in.goTo(end);
    return out;
}

struct SaidUnit {
    std::string_view word;
    double mm;
    bool metric;
};
constexpr SaidUnit saidUnits[] = {{"cm", 10, true},
                                  {"mm", 1, true},
                                  {"m", 1000, true},
                                  {"in", 25.4, false},
                                  {"ft", 304.8, false}};

/// The unit in which bare figures make a piece about as large as its kind comes; the job's system
/// first.
std::string_view likelyUnit(const std::vector<Length>& sizes, const Kind& kind,
                            const Project& job) {
    const auto one = scanLength("1", job.notation.units);
    if (!one || one->value <= Length{} || sizes.empty())
        return isMetric(job.notation.units) ? "cm" : "in";
    const Size usual = kind.outlineSize();
    const double figure =
        (sizes.size() > 1 ? std::max(sizes[0], sizes[1]) : sizes[0]).mm() / one->value.mm();
    const double is = (sizes.size() > 1 ? std::max(usual.width, usual.depth) : usual.width).mm();
    std::string_view best;
    double least = 1e300;
    for (const SaidUnit& u : saidUnits) {
        // As likely as one that is half as near, where it is of the other system.
        const double off = std::abs(std::log(std::max(figure, 1e-9) * u.mm / is)) +
                           (u.metric == isMetric(job.notation.units) ? 0 : std::log(2.0));
        if (off < least) {
            least = off;
            best = u.word;
        }
    }
    return best;
}

/// A fraction of what such a thing comes in, where a larger unit makes it what it is: "wardrobe 200
/// wide" in a job of millimetres; none where it may be as it stands. `measured`: the word after one
/// figure.
std::optional<Problem> farTooSmall(const std::vector<Length>& sizes, std::string_view written,
                                   std::string_view measured, const Kind& kind,
                                   const Project& job) {
    const auto one = scanLength("1", job.notation.units);
    if (!one || sizes.empty())
        return {};
    const Size outline = kind.outlineSize();
    const bool high = measured == "high" || measured == "tall";
    const Length is = sizes.size() > 1 ? std::max(sizes[0], sizes[1]) : sizes[0];
    const Length second = kind.hangs() ? outline.height : outline.depth;
    const Length usual = sizes.size() > 1     ? std::max(outline.width, second)
                         : high               ? outline.height
                         : measured == "deep" ? outline.depth
                                              : outline.width;
    constexpr double fraction = 0.3;
    if (is <= Length{} || is >= usual * fraction)
        return {};
    for (const SaidUnit& u : saidUnits) {
        const double times = u.mm / one->value.mm();
        const double of = is * times / usual;
        if (u.metric == isMetric(job.notation.units) && times > 1 && of > 0.6 && of < 2.2)
            return Problem{worded("{} would be far smaller than {} comes",
                                  writeGap(is, job.notation), smallFirst(kind.name)),
                           worded("say the unit: {} {}", trimmed(written), u.word)};
    }
    return {};
}

/// Bare figures as they can be meant, `written` as they stand in the line; what is told of it, or
/// "" where they stand as they are. `measured`: the word after one figure, "wide"; `alone`: nothing
/// follows that they may be of.
Result<std::string> meantSizes(std::vector<Length>& sizes, std::string_view written,
                               std::string_view measured, bool alone, const Kind& kind,
                               const Project& job) {
    // With a unit, or a fraction of one, they are meant as they stand.
    const auto bare = [](char c) {
        return (c >= '0' && c <= '9') || c == ' ' || c == 'x' || c == 'X' || c == '.' || c == ',';
    };
    std::string plain(written);
    for (const std::string_view by : {" by ", "×"})
        if (const auto at = plain.find(by); at != std::string::npos)
            plain.replace(at, by.size(), "x");
    if (!std::all_of(plain.begin(), plain.end(), bare) || sizes.empty())
        return std::string();
    if (alone && !kind.flat())
        if (auto small = farTooSmall(sizes, written, measured, kind, job))
            return std::move(*small);
    if (!measured.empty() && sizes.size() == 1 && measured != "across")
        return std::string();
    if (sizes.size() == 1) {
        // "sofa 213" in a job of inches.
        const double other = isMetric(job.notation.units) ? 2.54 : 1 / 2.54;
        const Length is = sizes.front() * other;
        const Length usual = kind.size.width;
        if (!kind.flat() && sizes.front() > usual * 2 && is > usual / 2 && is < usual * 1.5)
            return Problem{
                worded("{} would be twice as long as {} comes",
                       writeGap(sizes.front(), job.notation), smallFirst(kind.name)),
                worded("say the unit: {} {}", trimmed(written), likelyUnit(sizes, kind, job))};
        return std::string();
    }
    const Length most = std::max(sizes[0], sizes[1]);
    const auto one = scanLength("1", job.notation.units);
    const Length unit = isMetric(job.notation.units) ? Length::metres(1) : Length::feet(1);
    if (const Length small = Length::inches(24); kind.flat() && most < small && one) {
        const double times = unit.mm() / one->value.mm();
        if (times <= 1)
            return std::string();
        // "rug 160 x 230" in a job of millimetres: no metres either.
        if (most * times > Length::metres(20))
            return Problem{worded("{} would be far smaller than {} comes",
                                  writeGap(most, job.notation), smallFirst(kind.name)),
                           worded("say the unit: {} {}", trimmed(written),
                                  isMetric(job.notation.units) ? "cm" : "in")};
        for (std::size_t i = 0; i < 2; ++i)
            sizes[i] = Length::millimetres(sizes[i].mm() * times);
        return isMetric(job.notation.units) ? worded("{} is taken in metres", trimmed(written))
                                            : worded("{} is taken in feet", trimmed(written));
    }
    if (!job.room->closed || kind.hangs())
        return std::string();
    const Vec2 room = job.room->bounds().size();
    const Length least = std::min(sizes[0], sizes[1]);
    const double across = std::min(room.x, room.y);
    const auto unitSaid =
        worded("say the unit: {} {}", trimmed(written), likelyUnit(sizes, kind, job));
    if (most.mm() > std::hypot(room.x, room.y) ||
        (kind.flat() && (most.mm() > std::max(room.x, room.y) || least.mm() > across)))
        return Problem{worded("{} is longer than the room", writeGap(most, job.notation)),
                       unitSaid};
    // Twice as large as such a thing comes, where the other system's unit makes it what it is.
    const double other = isMetric(job.notation.units) ? 2.54 : 1 / 2.54;
    const auto alike = [](Length is, Length usual) { return is > usual / 2 && is < usual * 1.5; };
    if (!kind.flat() && most > kind.size.width * 2 && least > kind.size.depth * 2 &&
        alike(most * other, kind.size.width) && alike(least * other, kind.size.depth))
        return Problem{worded("{} by {} would be twice as large as {} comes",
                              writeGap(sizes[0], job.notation), writeGap(sizes[1], job.notation),
                              smallFirst(kind.name)),
                       unitSaid};
    return std::string();
}

void give(WordsReader& in, Piece& p, const std::vector<Length>& sizes, std::size_t at) {
    for (const Length l : sizes)
        if (l <= Length{} || l > Length::metres(20))
            in.fail(at, in.at() - at, "no piece has that size",
                    l > Length{} ? worded("if it is meant in {}, say so; sizes go up to {}",
                                          likelyUnit(sizes, *p.kind, in.job()),
                                          write(Length::metres(20), in.job().notation))
                                 : worded("sizes lie between nothing and {}",
                                          write(Length::metres(20), in.job().notation)));
    giveSizes(p, sizes);
}

/// The three, in the order they are said of it: on a wall the second is how high a thing is.
std::vector<Length> inOrder(const Kind& kind, const Size& s) {
    return kind.hangs() ? std::vector{s.width, s.height, s.depth}
                        : std::vector{s.width, s.depth, s.height};
}

/// Sizes with the word after them: "36 high", "mirror 36 round".
void giveMeasured(WordsReader& in, Piece& p, std::vector<Length> sizes, std::string_view measured,
                  std::size_t at, bool isNew) {
    if (sizes.size() == 1 && (measured == "high" || measured == "tall" || measured == "deep")) {
        Size s = p.size;
        (measured == "deep" ? s.depth : s.height) = sizes.front();
        return give(in, p, inOrder(*p.kind, s), at);
    }
    // Curtains are as long as they hang down.
    if (sizes.size() == 1 && measured == "long" && p.kind->role == Role::curtain) {
        Size s = p.size;
        s.height = sizes.front();
        return give(in, p, inOrder(*p.kind, s), at);
    }
    if (sizes.size() == 1 && measured == "long" && isLongFrontToBack(p)) {
        Size s = p.size;
        s.depth = sizes.front();
        return give(in, p, inOrder(*p.kind, s), at);
    }
    // A runner is wide across, and long along.
    if (sizes.size() == 1 && liesAlong(p) && measured == "wide") {
        Size s = p.size;
        s.depth = sizes.front();
        return give(in, p, inOrder(*p.kind, s), at);
    }
    if (sizes.size() == 1 && measured == "square")
        return give(in, p, {sizes.front(), sizes.front()}, at);
    const bool round = !measured.empty() && measured != "long" && measured != "wide" &&
                       measured != "deep" && measured != "high" && measured != "tall";
    if (round) {
        // One that has no round kind is refused, and never made square.
        const auto one = roundOne(p, isNew, *in.job().library.kit);
        if (!one)
            in.fail(at, in.at() - at, worded("{} is not round", isNew ? p.kind->name : p.name),
                    isNew ? "give its width and depth" : "remove it and add a round one");
        p = *one;
        if (sizes.size() == 1)
            sizes.push_back(sizes.front());
    }
    give(in, p, sizes, at);
}

/// A screen is told by how far it is corner to corner, and is 16 wide to 9 high; what is told of
/// that.
std::string asScreen(std::vector<Length>& sizes, const Piece& p, const Notation n) {
    const Length across = sizes.front();
    const double corner = std::hypot(16.0, 9.0);
    Size s = p.size;
    s.width = Length::millimetres(across.mm() * 16 / corner);
    s.height = Length::millimetres(across.mm() * 9 / corner);
    sizes = inOrder(*p.kind, s);
    return worded("{} is taken corner to corner, as 16 to 9: {} wide and {} high",
                  writeGap(across, n), writeGap(s.width, n), writeGap(s.height, n));
}

} // namespace

bool isLongFrontToBack(const Piece& p) {
    return (p.kind->role == Role::bed || p.kind->isSeat() || p.kind->flat()) &&
           p.size.depth > p.size.width * 1.15;
}

bool liesAlong(const Piece& p) {
    const Size& usual = p.kind->size;
    return p.kind->flat() && usual.width > usual.depth * 2 && p.size.width > p.size.depth * 2;
}

bool isHungSoHigh(const Piece& p, Length high) {
    const Length least = Length::inches(30); // nobody hangs a thing lower by its height
    return p.kind->hangs() && p.size == p.kind->size && high >= least && high >= p.size.height * 3;
}

bool readSizes(WordsReader& in, Piece& p, bool isNew, std::vector<std::string>& notices) {
    const std::size_t at = in.at();
    if (auto by = readLabelled(in)) {
        if (by->length) {
            // How long it is, is how wide; of a bed, and where that is said too, how deep; of
            // curtains how far they hang down.
            auto& slot = p.kind->role == Role::curtain       ? by->height
                         : by->width || isLongFrontToBack(p) ? by->depth
                                                             : by->width;
            if (slot)
                in.fail(at, in.at() - at, "this size is said twice", "say it once");
            slot = by->length;
        }
        give(in, p,
             inOrder(*p.kind, {by->width.value_or(p.size.width), by->depth.value_or(p.size.depth),
                               by->height.value_or(p.size.height)}),
             at);
        return true;
    }
    std::string_view measured;
    auto sizes = in.sizes(saidOf(*p.kind), &measured);
    if (sizes.empty() && isNew && p.kind->hangs() && p.kind->role != Role::shelf) {
        // "mirror 36 over the sideboard": nothing hangs so far above furniture, but shelves.
        const Length mostAbove = in.job().library.book->habit("above-at-most");
        if (in.lengthAhead()) {
            const Length wide = in.length("the size");
            if (wide > mostAbove && wide < p.kind->size.width * 3 &&
                (in.endOf("over") > 0 || in.endOf("above") > 0)) {
                sizes = {wide};
                if (p.kind->role != Role::screen)
                    notices.push_back(
                        worded("{} is taken for its width", writeGap(wide, in.job().notation)));
            } else {
                in.goTo(at);
            }
        }
    }
    if (sizes.size() == 1 && p.kind->role == Role::screen &&
        (measured.empty() || measured == "across" || in.take({"diagonal", "corner to corner"}))) {
        measured = {};
        if (auto told = asScreen(sizes, p, in.job().notation);
            std::find(notices.begin(), notices.end(), told) == notices.end())
            notices.push_back(std::move(told));
    }
    // "hooks, 66 high": where they hang.
    if (sizes.size() == 1 && measured == "high" && isHungSoHigh(p, sizes.front())) {
        in.goTo(at);
        return false;
    }
    auto written = in.since(at);
    if (!measured.empty() && written.ends_with(measured))
        written = trimmed(written.substr(0, written.size() - measured.size()));
    // "sofa 6 above the table": a figure that something follows may be none of its size.
    const auto kindAhead = [&] {
        const std::size_t here = in.at();
        const bool there = in.kind() != nullptr;
        in.goTo(here);
        return there;
    };
    const bool alone = sizes.size() > 1 || !measured.empty() || in.done() || in.ahead().empty() ||
                       (sizes.size() == 1 && kindAhead());
    const auto meant = meantSizes(sizes, written, measured, alone, *p.kind, in.job());
    if (!meant)
        in.fail(at, in.at() - at, meant.problem().what, meant.problem().remedy);
    if (!meant->empty() && std::find(notices.begin(), notices.end(), *meant) == notices.end())
        notices.push_back(*meant);
    giveMeasured(in, p, sizes, measured, at, isNew);
    return !sizes.empty();
}

bool sizesBeforeKind(WordsReader& in) {
    const std::size_t start = in.at();
    const auto kindAhead = [&] {
        const std::size_t at = in.at();
        const bool there = in.kind() != nullptr;
        in.goTo(at);
        return there;
    };
    if (readLabelled(in)) {
        if (kindAhead())
            return true;
    } else if (in.lengthAhead()) {
        const Length first = in.length("the size");
        const std::size_t after = in.at();
        // "30 wide bookcase" is a bookcase, whatever is called a wide one.
        for (const std::string_view w : {"wide", "deep", "long", "high", "tall"})
            if (in.endOf(w) > 0) {
                in.goTo(start);
                if (!in.sizes({}).empty() && kindAhead())
                    return true;
                in.goTo(after);
            }
        // "54 round table": the word after it may be the kind's own.
        if (kindAhead()) {
            constexpr double least = 100; // mm: nothing that stands is so small, and 2 is a number
            if (first.mm() < least)
                in.fail(start, after - start, "is that how many, or how wide?",
                        "say it like: 2 sofas, or: sofa 84 x 36");
            return true;
        }
        in.goTo(start);
        if (!in.sizes({}).empty() && kindAhead())
            return true;
    }
    in.goTo(start);
    return false;
}

bool readSizesIfAny(WordsReader& in, Piece& p, std::vector<std::string>& notices) {
    const std::size_t end = in.at();
    Piece sized = p;
    std::vector<std::string> told;
    try {
        if (!in.lengthAhead() || !readSizes(in, sized, true, told))
            return false;
    } catch (const LineFault&) {
        in.goTo(end);
        return false;
    }
    p = std::move(sized);
    notices.insert(notices.end(), told.begin(), told.end());
    return true;
}

void sizeForPeople(WordsReader& in, Piece& p, std::vector<std::string>& notices) {
    const Project& job = in.job();
    const std::size_t at = in.at();
    if (!in.take({"for", "to seat", "seating", "that seats"}))
        return;
    int n = 0;
    if (in.takeCount(n))
        in.take({"people", "persons", "seats", "chairs", "guests"});
    else
        return in.goTo(at);
    if (n < 1 || n > mostAtTable)
        in.fail(at, in.at() - at, "no table seats so many", worded("say 1 to {}", mostAtTable));
    // Few sit at less than the kit has (common practice); many at more.
    constexpr int few = 4;
    if (n <= few && p.kind->id == "dining-table" && p.size == p.kind->size) {
        const bool metric = isMetric(job.notation.units);
        const auto size = [&](double cm, double inches) {
            return metric ? Length::centimetres(cm) : Length::inches(inches);
        };
        giveSize(p, {n <= 2 ? size(80, 30) : size(120, 48), n <= 2 ? size(80, 30) : size(80, 32),
                     p.size.height});
        notices.push_back(worded("Its size is assumed, for {}.", n));
    }
    enlargeFor(p, n, job);
}

} // namespace mezzet
