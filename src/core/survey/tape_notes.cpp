#include "survey/tape_notes.h"

#include "measure/text.h"
#include "survey/note_line.h"

#include <fmt/format.h>

#include <algorithm>
#include <cctype>
#include <charconv>

namespace mezzet {

namespace {

constexpr std::size_t mostWalls = 200;

class Reader {
public:
    explicit Reader(std::string_view file) : file_(file) {}

    void readLine(std::string_view text, int number) {
        if (const auto hash = text.find('#'); hash != std::string_view::npos)
            text = text.substr(0, hash);
        NoteLine line(text, number, notes_.units, file_);
        if (line.done())
            return;
        const NotePlace place = line.place();
        const auto w = line.word();
        if (w == "room")
            notes_.name = named(line);
        else if (w == "units")
            units(line);
        else if (w == "ceiling")
            ceiling(line);
        else if (w == "tolerance")
            tolerance(line);
        else if (w == "north")
            north(line);
        else if (w == "wall")
            wall(line, place);
        else if (w == "corner")
            corner(line);
        else if (w == "diagonal")
            diagonal(line, place);
        else if (w == "window" || w == "door" || w == "opening" || w == "archway")
            opening(line, place, w);
        else if (w == "chimney" || w == "breast")
            chimney(line, place);
        else if (w == "outlet" || w == "switch")
            outlet(line, place, w);
        else if (w == "studs")
            studs(line);
        else
            unknown(line, w);
        if (!line.done())
            line.failAhead(fmt::format("“{}” is left over at the end of the line", line.ahead()),
                           "take it out, or put a comma before it");
    }

    TapeNotes finish() {
        for (auto& d : pending_) {
            const auto known = [&](int i) { return i < static_cast<int>(notes_.walls.size()); };
            if (!known(d.from) || !known(d.to)) {
                Problem p{
                    fmt::format("there is no wall {}", wallName(known(d.from) ? d.to : d.from)),
                    "a corner is named by the wall that begins there"};
                throw NoteFault{at(p, d.place)};
            }
        }
        notes_.diagonals = pending_;
        for (const auto& w : notes_.walls)
            checkOpenings(w);
        return notes_;
    }

private:
    Problem at(Problem p, NotePlace place) const {
        p.file = file_;
        p.line = place.line;
        p.column = place.column;
        p.width = place.width;
        return p;
    }

    static std::string named(NoteLine& line) {
        auto n = line.restOfLine();
        if (n.empty())
            line.failAhead("the room has no name", "write it like: room Supper room");
        if (characterCount(n) > 80)
            line.failHere("the name is too long", "use at most 80 characters");
        return n;
    }

    void units(NoteLine& line) {
        const auto w = line.restOfLine();
        const auto u = readUnits(w);
        if (!u)
            line.failHere(fmt::format("“{}” is no unit I know", w),
                          "use feet, inches, mm, cm or m");
        if (!notes_.walls.empty())
            line.failHere("the units come after the first wall", "put them above it");
        notes_.units = *u;
    }

    void ceiling(NoteLine& line) {
        const auto h = line.length("the ceiling height", false);
        if (notes_.ceilingTaped && abs(h - notes_.ceiling) > quiet)
            line.failHere("the ceiling height is given twice, and differently", "keep one");
        if (h < Length::inches(48))
            line.failHere("a ceiling under 4' can't be meant", "check the figure and its unit");
        notes_.ceiling = h;
        notes_.ceilingTaped = true;
    }

    void tolerance(NoteLine& line) {
        if (line.ahead() == "1") {
            line.word();
            line.expect({"in"}, "“in”");
        }
        const double n = line.number("the tolerance");
        if (n < 10 || n > 100000)
            line.failHere("a tolerance lies between 1 in 10 and 1 in 100000", "1 in 200 is usual");
        notes_.tolerance = n;
    }

    void north(NoteLine& line) {
        const double n = line.number("north");
        if (std::abs(n) > 360)
            line.failHere("north is more than a full turn",
                          "give degrees clockwise from the top of the plan");
        notes_.north = Angle::degrees(n);
    }

    void wall(NoteLine& line, NotePlace place) {
        const auto name = line.word();
        const auto wanted = wallName(static_cast<int>(notes_.walls.size()));
        const auto index = wallIndex(name);
        if (!index)
            line.failHere(fmt::format("“{}” is no wall letter", name),
                          fmt::format("this wall is {}", wanted));
        if (*index != static_cast<int>(notes_.walls.size()))
            line.failHere(
                fmt::format("wall {} comes here", wallName(*index)),
                fmt::format("walls are taken in turn to the right, and this one is {}", wanted));
        if (notes_.walls.size() >= mostWalls)
            line.failHere("the room has more than 200 walls", "split it into rooms");
        TapedWall w;
        w.name = wanted;
        w.run = line.length(fmt::format("wall {}", wanted), false);
        w.place = place;
        notes_.walls.push_back(w);
        cornerGiven_ = false;
    }

    TapedWall& current(NoteLine& line, std::string_view what) {
        if (notes_.walls.empty())
            line.failHere(fmt::format("this {} comes before any wall", what),
                          "write the wall first, like: wall A 15' 0\"");
        return notes_.walls.back();
    }

    void corner(NoteLine& line) {
        auto& w = current(line, "corner");
        if (cornerGiven_)
            line.failHere("this corner is given twice",
                          fmt::format("the next wall is {}",
                                      wallName(static_cast<int>(notes_.walls.size()))));
        cornerGiven_ = true;
        if (line.done() || line.take({"right", "in", "inside", "square"}))
            return;
        if (line.take({"out", "outside"})) {
            w.insideAngle = Angle::degrees(270);
            return;
        }
        const double a = line.number("the corner");
        line.take({"degrees", "degree", "deg", "°"});
        if (a < 5 || a > 355)
            line.failHere(fmt::format("{:g}° is no corner of a room", a),
                          "give the inside angle, like corner 135; an outside corner is over 180, "
                          "or “corner out”");
        w.insideAngle = Angle::degrees(a);
        w.angleMeasured = true;
    }

    void diagonal(NoteLine& line, NotePlace place) {
        TapedDiagonal d;
        d.place = place;
        d.from = cornerNamed(line);
        line.expect({"to"}, "“to”");
        d.to = cornerNamed(line);
        if (d.from == d.to)
            line.failHere("a diagonal runs between two corners", "name another corner");
        d.run = line.length("the diagonal", false);
        pending_.push_back(d);
    }

    static int cornerNamed(NoteLine& line) {
        const auto w = line.word();
        const auto i = wallIndex(w);
        if (!i)
            line.failHere(
                fmt::format("“{}” is no corner", w),
                "a corner is named by the wall that begins there, like: diagonal A to D 23' 6\"");
        return *i;
    }

    /// "2' 10" from left", the words after its length already known to be "from".
    static void fromCorner(NoteLine& line, Length v, Length& offset, bool& fromRight, bool& given) {
        line.expect({"from"}, "“from”");
        line.take({"the"});
        if (line.take({"right"}))
            fromRight = true;
        else if (!line.take({"left"}))
            line.failAhead("from which corner?",
                           "say “from left” or “from right”, as you face the wall");
        line.take({"corner"});
        offset = v;
        given = true;
    }

    static void separator(NoteLine& line) {
        if (!line.done() && !line.comma())
            line.failAhead(fmt::format("“{}” doesn't follow here", line.ahead()),
                           "put a comma between the parts");
    }

    void opening(NoteLine& line, NotePlace place, const std::string& kind) {
        auto& w = current(line, kind);
        TapedOpening o;
        o.kind = kind == "window" ? OpeningKind::window
                 : kind == "door" ? OpeningKind::door
                                  : OpeningKind::opening;
        const bool door = o.kind == OpeningKind::door;
        o.place = place;
        bool offset = false, width = false, height = false, sill = false;
        std::optional<Length> head;
        if (line.done())
            line.failHere(
                fmt::format("this {} has no measurements", kind),
                fmt::format("write it like: {} 2' 0\" from left, 32 wide, 80 high", kind));
        line.comma();
        do {
            if (line.take({"sill"})) {
                o.sill = line.length("the sill");
                sill = true;
            } else if (line.take({"head"})) {
                head = line.length("the head", false);
            } else if (door && line.take({"hinge", "hinged", "hinges"})) {
                line.take({"on"});
                line.take({"the"});
                if (line.take({"right"}))
                    o.hingeRight = true;
                else if (!line.take({"left"}))
                    line.failAhead(
                        "hinged on which side?",
                        "say “hinge left” or “hinge right”, as you face the door from inside");
            } else if (door && line.take({"swings", "swing", "opens"})) {
                if (line.take({"out"}))
                    o.swingsIn = false;
                else if (!line.take({"in"}))
                    line.failAhead("which way does it swing?", "say “swings in” or “swings out”");
            } else if (door && line.take({"undercut"})) {
                o.undercut = line.length("the undercut");
            } else {
                const auto v = line.length(fmt::format("the {}", kind));
                if (line.take({"wide", "w"})) {
                    o.width = v;
                    width = true;
                } else if (line.take({"high", "tall", "h"})) {
                    o.height = v;
                    height = true;
                } else if (door && line.take({"undercut"})) {
                    o.undercut = v;
                } else if (line.take({"sill"})) {
                    o.sill = v;
                    sill = true;
                } else if (line.ahead() == "from") {
                    fromCorner(line, v, o.offset, o.fromRight, offset);
                } else {
                    line.failAhead("what does this length measure?",
                                   "say “from left”, “wide”, “high”, or “sill” before it");
                }
            }
            separator(line);
        } while (!line.done());
        if (!offset)
            line.failAhead(fmt::format("this {} has no place on its wall", kind),
                           "add how far from left or from right it starts");
        if (!width || o.width <= Length{})
            line.failAhead(fmt::format("this {} has no width", kind), "add how wide it is");
        if (!height && head)
            o.height = *head - o.sill;
        else if (!height)
            o.height = o.kind == OpeningKind::window ? Length::inches(48) : Length::inches(80);
        if (o.kind == OpeningKind::window && !sill)
            o.sill = head ? *head - o.height : Length::inches(80) - o.height;
        if (o.height <= Length{} || o.sill < Length{})
            line.failAhead(fmt::format("the heights of this {} don't go together", kind),
                           "sill plus height gives the head");
        w.openings.push_back(o);
    }

    void chimney(NoteLine& line, NotePlace place) {
        auto& w = current(line, "chimney");
        line.take({"breast"});
        TapedChimney c;
        c.place = place;
        bool offset = false;
        line.comma();
        while (!line.done()) {
            const auto v = line.length("the chimney breast");
            if (line.take({"wide", "w"}))
                c.width = v;
            else if (line.take({"deep", "d"}))
                c.depth = v;
            else if (line.ahead() == "from")
                fromCorner(line, v, c.offset, c.fromRight, offset);
            else
                line.failAhead("what does this length measure?",
                               "say “from left”, “wide” or “deep”");
            separator(line);
        }
        if (!offset || c.width <= Length{} || c.depth <= Length{})
            line.failAhead("a chimney breast needs its place, width and depth",
                           "write it like: chimney 4' 6\" from left, 56 wide, 14 deep");
        w.chimneys.push_back(c);
    }

    void outlet(NoteLine& line, NotePlace place, const std::string& kind) {
        auto& w = current(line, kind);
        TapedOutlet o;
        o.kind = kind == "switch" ? OutletKind::lightSwitch : OutletKind::outlet;
        o.up = Length::inches(o.kind == OutletKind::outlet ? 14 : 48);
        o.place = place;
        bool offset = false;
        line.comma();
        while (!line.done()) {
            const auto v = line.length(fmt::format("the {}", kind));
            if (line.take({"up", "high"}))
                o.up = v;
            else if (line.ahead() == "from")
                fromCorner(line, v, o.offset, o.fromRight, offset);
            else
                line.failAhead("what does this length measure?", "say “from left” or “up”");
            separator(line);
        }
        if (!offset)
            line.failAhead(fmt::format("this {} has no place on its wall", kind),
                           fmt::format("write it like: {} 8 from left, 14 up", kind));
        w.outlets.push_back(o);
    }

    void studs(NoteLine& line) {
        auto& w = current(line, "studs line");
        TapedStuds s;
        bool given = false;
        while (!line.done()) {
            if (line.take({"first"})) {
                bool right = false;
                const auto v = line.length("the first stud");
                fromCorner(line, v, s.first, right, given);
                if (right)
                    line.failHere("studs are counted from the left corner",
                                  "sound the first from the left");
            } else {
                s.spacing = line.length("the stud spacing", false);
                line.take({"apart", "on"});
                line.take({"centre", "center"});
            }
            separator(line);
        }
        if (!given || s.spacing <= Length::inches(4))
            line.failAhead("studs need a spacing and a first one",
                           "write it like: studs 16 apart, first 14 from left");
        w.studs = s;
    }

    [[noreturn]] static void unknown(NoteLine& line, const std::string& w) {
        static const std::vector<std::string> known{
            "room",   "units", "ceiling", "tolerance", "north",  "wall",   "corner", "diagonal",
            "window", "door",  "opening", "chimney",   "outlet", "switch", "studs"};
        const auto near = nearestWord(w, known);
        line.failHere(fmt::format("“{}” is not a word of tape notes", w),
                      near ? fmt::format("did you mean “{}”?", *near)
                           : fmt::format("a line begins with {}", listed(known, "or")));
    }

    void checkOpenings(const TapedWall& w) const {
        struct Span {
            Length left;
            Length right;
            std::string name;
            NotePlace place;
        };
        std::vector<Span> spans;
        const auto add = [&](Length offset, bool fromRight, Length width, std::string name,
                             NotePlace place) {
            const Length left = fromRight ? w.run - offset - width : offset;
            // A tape slips by a quarter of an inch; more than that is a wrong figure.
            const Length slack = Length::inches(0.25);
            if (left < -slack || left + width > w.run + slack) {
                const Notation n{notes_.units, 16};
                Problem p{fmt::format("this {} runs past the end of wall {}: {} and {} make {}, "
                                      "and the wall is {}",
                                      name, w.name, write(offset, n), write(width, n),
                                      write(offset + width, n), write(w.run, n)),
                          "check its place, its width and the wall"};
                throw NoteFault{at(p, place)};
            }
            spans.push_back({left, left + width, std::move(name), place});
        };
        for (const auto& o : w.openings) {
            const char* name = o.kind == OpeningKind::window ? "window"
                               : o.kind == OpeningKind::door ? "door"
                                                             : "opening";
            add(o.offset, o.fromRight, o.width, name, o.place);
            if (o.sill + o.height > notes_.ceiling + Length::inches(0.25))
                throw NoteFault{at({fmt::format("the head of this {} is above the ceiling", name),
                                    "check the sill, its height and the ceiling"},
                                   o.place)};
        }
        for (const auto& c : w.chimneys)
            add(c.offset, c.fromRight, c.width, "chimney breast", c.place);
        for (std::size_t i = 0; i < spans.size(); ++i) {
            for (std::size_t j = 0; j < i; ++j) {
                const auto over = std::min(spans[i].right, spans[j].right) -
                                  std::max(spans[i].left, spans[j].left);
                if (over > Length::inches(0.25))
                    throw NoteFault{
                        at({fmt::format("this {} lies over the {} of line {}", spans[i].name,
                                        spans[j].name, spans[j].place.line),
                            "check where each starts and how wide it is"},
                           spans[i].place)};
            }
        }
    }

    std::string_view file_;
    TapeNotes notes_;
    std::vector<TapedDiagonal> pending_;
    bool cornerGiven_ = false;
};

} // namespace

std::string wallName(int index) {
    const auto letter = [](int i) { return static_cast<char>('A' + i); };
    if (index < 26)
        return std::string(1, letter(index));
    return {letter(index / 26 - 1), letter(index % 26)};
}

std::optional<int> wallIndex(std::string_view name) {
    const auto value = [](char c) -> int {
        const auto u = static_cast<unsigned char>(c);
        return std::isalpha(u) ? std::toupper(u) - 'A' : -1;
    };
    if (name.size() == 1 && value(name[0]) >= 0)
        return value(name[0]);
    if (name.size() == 2 && value(name[0]) >= 0 && value(name[1]) >= 0)
        return (value(name[0]) + 1) * 26 + value(name[1]);
    return {};
}

Result<TapeNotes> readTapeNotes(std::string_view text, std::string_view file) {
    try {
        Reader reader(file);
        int number = 0;
        while (!text.empty()) {
            const auto end = text.find('\n');
            auto line = text.substr(0, end);
            if (line.ends_with('\r'))
                line.remove_suffix(1);
            reader.readLine(line, ++number);
            if (end == std::string_view::npos)
                break;
            text.remove_prefix(end + 1);
        }
        return reader.finish();
    } catch (const NoteFault& f) {
        return f.problem;
    }
}

} // namespace mezzet
