// Which window, door or opening a line refers to.
#include "edit/beside_wall.h"
#include "edit/subjects.h"
#include "edit/words_reader.h"

#include "measure/text.h"
#include "measure/texts.h"
#include "survey/note_words.h"

#include <algorithm>
#include <charconv>
#include <tuple>

namespace mezzet {

int WordsReader::inOwnWall(OpeningKind kind) const {
    int out = 0;
    for (const Opening& o : job_.room->openings)
        if (o.kind == kind &&
            std::find(ownOpenings_.begin(), ownOpenings_.end(), targetOf(o)) != ownOpenings_.end())
            return o.number;
    for (const Opening& o : job_.room->openings)
        if (o.kind == kind && ownWall_ && o.wall == *ownWall_) {
            if (out != 0)
                return 0;
            out = o.number;
        }
    return out;
}

/// "on wall C", after an opening; none, and nothing taken, where no wall is named.
std::optional<int> WordsReader::ofWall() {
    const std::size_t here = at();
    const auto walls = static_cast<int>(job_.room->walls.size());
    for (const char* begins : {"on", "in", "of", "along", "at"})
        for (const char* wall : {" wall", " the wall"})
            if (const std::size_t end = endOf(std::string(begins) + wall); end > 0) {
                goTo(end);
                if (const auto i = wallIndex(word()); i && *i < walls)
                    return i;
                goTo(here);
            }
    // "window on D"; before another word "a" is no wall.
    if (take({"on", "in", "of"})) {
        const auto letter = word();
        const auto i = letter.size() == 1 ? wallIndex(letter) : std::nullopt;
        if (i && *i < walls && (letter != "a" || done() || ahead().empty()))
            return i;
        goTo(here);
    }
    return {};
}

/// "the left window", "the second door on wall C": of those in one wall, as one faces it from
/// inside. None, and nothing taken, where no such words stand.
std::optional<Target> WordsReader::whichOpening(std::size_t start) {
    constexpr int last = -1;
    constexpr int middle = -2;
    struct Which {
        const char* said;
        int index;
        bool side = false;
    };
    static constexpr Which all[] = {{"left", 0, true},
                                    {"left hand", 0, true},
                                    {"left-hand", 0, true},
                                    {"right", last, true},
                                    {"right hand", last, true},
                                    {"right-hand", last, true},
                                    {"first", 0},
                                    {"second", 1},
                                    {"third", 2},
                                    {"fourth", 3},
                                    {"last", last},
                                    {"middle", middle}};
    const Room& room = *job_.room;
    for (const Which& w : all)
        for (const auto& [word, kind, is] :
             {std::tuple{"window", OpeningKind::window, Target::Is::window},
              std::tuple{"door", OpeningKind::door, Target::Is::door}}) {
            const std::size_t end = endOf(fmt::format("{} {}", w.said, word));
            if (end == 0)
                continue;
            goTo(end);
            // Of the wall that is named; a side is also of the only one that has several.
            auto wall = ofWall();
            if (!wall && w.side)
                wall = wallOfSeveral(kind, room);
            std::vector<const Opening*> there;
            for (const Opening& o : room.openings)
                if (o.kind == kind && (!wall || o.wall == *wall))
                    there.push_back(&o);
            if (std::any_of(there.begin(), there.end(),
                            [&](const Opening* o) { return o->wall != there.front()->wall; }))
                return numbered(kind, is, word, start);
            std::sort(there.begin(), there.end(),
                      [](const Opening* a, const Opening* b) { return a->left < b->left; });
            const auto n = static_cast<int>(there.size());
            const int index = w.index == last     ? n - 1
                              : w.index == middle ? (n % 2 == 1 ? n / 2 : n)
                                                  : w.index;
            if (index < 0 || index >= n)
                fail(start, at_ - start, worded("there is no {}", since(start)),
                     worded("there {} {}", n == 1 ? "is just" : "are", n));
            return targetOf(*there[static_cast<std::size_t>(index)]);
        }
    return {};
}

std::optional<Target> WordsReader::openingByWhere(std::size_t start) {
    static constexpr std::string_view behind[] = {"back",    "garden", "yard",    "patio",
                                                  "terrace", "deck",   "backyard"};
    std::vector<const Opening*> there;
    std::size_t end = 0;
    for (const Opening& o : job_.room->openings) {
        auto to = foldCase(o.leadsTo);
        for (const std::string_view article : {"the ", "a ", "an ", "my "})
            if (to.starts_with(article))
                to.erase(0, article.size());
        if (to.empty() || to.find_first_of(",;") != std::string::npos)
            continue;
        std::size_t e = 0;
        for (const char* what : {"doors", "door", "doorway", "opening", "arch"}) {
            e = std::max(e, endOf(to + " " + what));
            for (const char* way : {" to the ", " to ", " of the ", " into the ", " into "})
                e = std::max(e, endOf(what + std::string(way) + to));
        }
        if (to == "closet" || to == "cupboard" || to == "pantry")
            e = std::max(e, endOf(to));
        // What leads to the garden is the back door, what leads out of the house the front door.
        const bool back = std::any_of(std::begin(behind), std::end(behind), [&](const auto w) {
            return to.find(w) != std::string::npos;
        });
        if (back)
            for (const char* door : {"back door", "rear door", "garden door", "patio door"})
                e = std::max(e, endOf(door));
        for (const std::string_view out : {back ? "\n" : "outside", "street", "porch", "outdoors",
                                           "drive", "front", "exterior", "stairwell", "landing"})
            if (!back && to.find(out) != std::string::npos)
                for (const char* front : {"front door", "entrance door", "entry door", "main door",
                                          "house door", "outside door"})
                    e = std::max(e, endOf(front));
        if (e > end) {
            there.clear();
            end = e;
        }
        if (e == end && e > 0)
            there.push_back(&o);
    }
    if (there.empty())
        return {};
    at_ = end;
    // "closet door 2"
    if (there.size() > 1) {
        const std::size_t here = at();
        if (const auto wall = ofWall()) {
            std::erase_if(there, [&](const Opening* o) { return o->wall != *wall; });
            if (there.empty())
                at_ = here;
        }
    }
    if (there.size() == 1)
        return targetOf(*there.front());
    if (!there.empty())
        failWhich(start, at_ - start, worded("which {}? there are {}", since(start), there.size()),
                  worded("say {} or {}", there.front()->name(), there.back()->name()));
    at_ = start;
    return {};
}

std::optional<Target> WordsReader::doorByStyle(std::size_t start) {
    for (const ThingSaid& thing : thingsSaid()) { // those with more words first
        if (!thing.style)
            continue;
        const std::size_t end = std::max(endOf(std::string(thing.words) + "s"), endOf(thing.words));
        if (end == 0)
            continue;
        std::vector<const Opening*> there;
        for (const Opening& o : job_.room->openings)
            if (o.kind == OpeningKind::door && o.style == *thing.style)
                there.push_back(&o);
        if (there.empty())
            return {};
        goTo(end);
        if (there.size() == 1)
            return targetOf(*there.front());
        for (const Opening* o : there) // "french doors 2"
            if (take({std::to_string(o->number)}))
                return targetOf(*o);
        failWhich(start, at_ - start, worded("which {}? there are {}", since(start), there.size()),
                  worded("say {} or {}", there.front()->name(), there.back()->name()));
    }
    return {};
}

std::optional<Target> WordsReader::openingTo() {
    const Opening* there = nullptr;
    std::size_t end = 0;
    for (const Opening& o : job_.room->openings) {
        auto to = foldCase(trimmed(o.leadsTo));
        if (to.starts_with("the "))
            to.erase(0, 4);
        const std::size_t e = to.empty() ? 0 : endOf(to);
        if (e == 0 || e < end)
            continue;
        if (e == end && there != nullptr)
            return {};
        there = &o;
        end = e;
    }
    if (there == nullptr)
        return {};
    goTo(end);
    return targetOf(*there);
}

Target WordsReader::numbered(OpeningKind kind, Target::Is is, const char* what, std::size_t start) {
    const Room& room = *job_.room;
    Target t;
    std::vector<int> numbers;
    for (const auto& o : room.openings)
        if (o.kind == kind)
            numbers.push_back(o.number);
    // "the door" is no closet's, where one other is.
    int plain = 0;
    int plains = 0;
    for (const auto& o : room.openings)
        if (o.kind == kind && foldCase(o.leadsTo).find("closet") == std::string::npos) {
            plain = o.number;
            ++plains;
        }
    t.is = is;
    // "the window on wall A"
    const std::size_t here = at();
    if (const auto wall = ofWall()) {
        std::vector<int> there;
        for (const auto& o : room.openings)
            if (o.kind == kind && o.wall == *wall)
                there.push_back(o.number);
        if (there.size() == 1) {
            t.index = there.front();
            return t;
        }
        if (!there.empty())
            failWhich(start, at_ - start, worded("which {}? there are {}", what, there.size()),
                      worded("say {} {} or {} {}", what, there.front(), what, there.back()));
        goTo(here);
    }
    skip();
    int n = 0;
    const std::size_t figure = at();
    const auto w = ahead();
    const auto [end, error] = std::from_chars(w.data(), w.data() + w.size(), n);
    bool said = !w.empty() && error == std::errc() && end == w.data() + w.size();
    if (said) {
        word();
        // "toward the window 3 inches" is so far, "under the window 72 x 16" a size.
        const bool ofSize = take({"x", "×"});
        if (ofSize ||
            (take({"inches", "inch", "in", "feet", "foot", "ft", "centimetres", "centimeters", "cm",
                   "mm", "metres", "meters", "metre", "meter", "m"}) &&
             (done() || ahead().empty()))) {
            said = false;
            goTo(figure);
        } else {
            goTo(figure);
            word();
        }
    }
    if (said) {
        // by its number
    } else if (!w.empty() && error == std::errc() && std::string_view(end) == "'s") // "door 1's"
        at_ += static_cast<std::size_t>(end - w.data());
    else if (numbers.size() == 1)
        n = numbers.front();
    else if (plains == 1)
        n = plain;
    else if (const int own = inOwnWall(kind); own != 0)
        n = own;
    else if (!numbers.empty())
        failWhich(start, at_ - start, worded("which {}? there are {}", what, numbers.size()),
                  numbers.size() == 2 ? worded("say {} 1 or {} 2", what, what)
                                      : worded("say {} 1 to {}", what, numbers.size()));
    if (std::find(numbers.begin(), numbers.end(), n) == numbers.end())
        fail(start, at_ - start,
             numbers.empty() ? worded("the room has no {}", what)
                             : worded("there is no {} {}", what, n),
             numbers.empty()
                 ? "add it to the tape notes"
                 : worded("there {} {}", numbers.size() == 1 ? "is just" : "are", numbers.size()));
    t.index = n;
    return t;
}

void WordsReader::whichWallOf(OpeningKind kind, std::size_t start) {
    std::vector<std::string> walls;
    for (std::size_t i = 0; i < job_.room->walls.size(); ++i)
        if (std::any_of(
                job_.room->openings.begin(), job_.room->openings.end(),
                [&](const Opening& o) { return o.kind == kind && o.wall == static_cast<int>(i); }))
            walls.push_back(worded("wall {}", wallName(static_cast<int>(i))));
    if (walls.size() > 1)
        failWhich(start, at_ - start,
                  worded("there are {} in {}", text_.substr(start, at_ - start), listed(walls)),
                  "say which wall, or which of them");
    at_ = start;
}

} // namespace mezzet
