#include "survey/tape_notes.h"

#include "measure/text.h"
#include "measure/texts.h"
#include "survey/note_words.h"
#include "survey/read_features.h"

#include <algorithm>
#include <cctype>

namespace mezzet {

namespace {

constexpr std::size_t mostBytes = 200000;
constexpr std::size_t mostWalls = 200;
constexpr std::size_t mostRooms = 40;

class Reader {
public:
    Reader(std::string_view text, std::string_view file) : file_(file), written_(firstUnit(text)) {
        rooms_.emplace_back();
        if (written_ == FirstUnit::metric)
            room().units = Units::centimetres;
        room().ceiling.height = usualCeiling(room().units);
    }

    void readLine(std::string_view text, int number) {
        // A job couldn't keep what can't be seen.
        const auto unseen = std::find_if(text.begin(), text.end(), [](char c) {
            return static_cast<unsigned char>(c) < ' ' && c != '\t';
        });
        if (unseen != text.end())
            throw NoteFault{{"there is a character here that can't be seen", "type the line anew",
                             std::string(file_), number,
                             static_cast<int>(characterCount({text.begin(), unseen})) + 1, 1}};
        if (const auto hash = text.find('#'); hash != std::string_view::npos)
            text = text.substr(0, hash);
        NoteLine line(text, number, room().units, file_);
        if (line.done())
            return;
        const NotePlace place = line.place();
        said_ = {};
        for (const ThingSaid& thing : thingsSaid())
            if (said_.words.empty() &&
                (line.takePhrase(thing.words) || line.takePhrase(std::string(thing.words) + "s")))
                said_ = thing;
        auto w = said_.words.empty() ? line.word() : std::string(said_.is);
        // "window: 2' from left", "A: 14' 2", "lt switch"
        const bool colon = w.size() > 1 && w.ends_with(":");
        if (colon)
            w = writtenOut(w.substr(0, w.size() - 1));
        if (const auto i = wallIndex(w); i && w.size() == 1 && (colon || line.lengthAhead()))
            return wallSaid(line, place, w);
        if (w == "light" && line.take({"switch"}))
            w = "switch";
        const bool large = w == "wall" || w == "ceiling" || w == "diagonal";
        if (room().bareFeet)
            line.bareFeet(large ? 0 : 1, large ? 100 : 13);
        else if (large)
            askUnlikely(line, w == "ceiling");
        const auto& known = words();
        const auto it = std::find_if(known.begin(), known.end(), [&](const Word& k) {
            return std::find(k.first.begin(), k.first.end(), w) != k.first.end();
        });
        if (it == known.end())
            unknown(line, w);
        it->second(*this, line, place, w);
        if (!line.done())
            line.failAhead(worded("“{}” is left over at the end of the line", line.ahead()),
                           "take it out, or put a comma before it");
    }

    std::vector<TapeNotes> finish() {
        for (const auto& r : rooms_) {
            if (auto p = checkNotes(r)) {
                p->file = file_;
                throw NoteFault{*p};
            }
        }
        return std::move(rooms_);
    }

private:
    using Reads = void (*)(Reader&, NoteLine&, NotePlace, const std::string&);
    using Word = std::pair<std::vector<std::string>, Reads>;

    /// Every word a line of notes may begin with.
    static const std::vector<Word>& words() {
        static const auto fixture = []<FixtureKind K>() -> Reads {
            return [](Reader& r, NoteLine& l, NotePlace p, const std::string& w) {
                readFixture(l, p, K, r.tool_, r.current(l, w));
            };
        };
        static const std::vector<Word> all{
            {{"room"},
             [](Reader& r, NoteLine& l, NotePlace p, const std::string&) { r.newRoom(l, p); }},
            {{"units"}, [](Reader& r, NoteLine& l, NotePlace, const std::string&) { r.units(l); }},
            {{"ceiling"},
             [](Reader& r, NoteLine& l, NotePlace p, const std::string&) {
                 readCeiling(l, p, r.room());
             }},
            {{"slope"},
             [](Reader& r, NoteLine& l, NotePlace p, const std::string&) {
                 readSlope(l, p, r.room());
             }},
            {{"tray"},
             [](Reader& r, NoteLine& l, NotePlace, const std::string&) { readTray(l, r.room()); }},
            {{"beam"},
             [](Reader& r, NoteLine& l, NotePlace, const std::string&) {
                 readBeam(l, r.tool_, r.room());
             }},
            {{"joists"},
             [](Reader& r, NoteLine& l, NotePlace, const std::string&) {
                 readJoists(l, r.room());
             }},
            {{"step"},
             [](Reader& r, NoteLine& l, NotePlace, const std::string&) {
                 readStep(l, r.tool_, r.room());
             }},
            {{"skirting", "baseboard"},
             [](Reader& r, NoteLine& l, NotePlace, const std::string&) {
                 r.moulding(l, r.room().mouldings.skirting, "the skirting");
             }},
            {{"picture"},
             [](Reader& r, NoteLine& l, NotePlace, const std::string&) {
                 l.expect({"rail"}, "“rail”");
                 r.moulding(l, r.room().mouldings.pictureRail, "the picture rail");
             }},
            {{"chair"},
             [](Reader& r, NoteLine& l, NotePlace, const std::string&) {
                 l.expect({"rail"}, "“rail”");
                 r.moulding(l, r.room().mouldings.chairRail, "the chair rail");
             }},
            {{"cornice", "crown"},
             [](Reader& r, NoteLine& l, NotePlace, const std::string&) {
                 r.moulding(l, r.room().mouldings.cornice, "the cornice");
             }},
            {{"tolerance"},
             [](Reader& r, NoteLine& l, NotePlace, const std::string&) { r.tolerance(l); }},
            {{"accuracy"},
             [](Reader& r, NoteLine& l, NotePlace, const std::string&) { r.accuracy(l); }},
            {{"taken"},
             [](Reader& r, NoteLine& l, NotePlace, const std::string&) {
                 l.expect({"by", "with"}, "“by”");
                 r.tool_ = toolNamed(l);
             }},
            {{"north"}, [](Reader& r, NoteLine& l, NotePlace, const std::string&) { r.north(l); }},
            {{"wall"},
             [](Reader& r, NoteLine& l, NotePlace p, const std::string&) { r.wall(l, p); }},
            {{"corner"},
             [](Reader& r, NoteLine& l, NotePlace p, const std::string&) { r.corner(l, p); }},
            {{"curve"},
             [](Reader& r, NoteLine& l, NotePlace, const std::string& w) {
                 readCurve(l, r.current(l, w));
             }},
            {{"diagonal"},
             [](Reader& r, NoteLine& l, NotePlace p, const std::string&) { r.diagonal(l, p); }},
            {{"window", "door", "opening", "archway", "closet"},
             [](Reader& r, NoteLine& l, NotePlace p, const std::string& w) {
                 readOpening(l, p, w == "archway" ? "opening" : w, r.said_, r.tool_,
                             r.current(l, w));
             }},
            {{"alcove"},
             [](Reader& r, NoteLine& l, NotePlace p, const std::string& w) {
                 readRecess(l, p, RecessKind::alcove, r.tool_, r.current(l, w));
             }},
            {{"bay"},
             [](Reader& r, NoteLine& l, NotePlace p, const std::string& w) {
                 readRecess(l, p, RecessKind::bay, r.tool_, r.current(l, w));
             }},
            {{"bow"},
             [](Reader& r, NoteLine& l, NotePlace p, const std::string& w) {
                 readRecess(l, p, RecessKind::bow, r.tool_, r.current(l, w));
             }},
            {{"chimney", "breast"}, fixture.operator()<FixtureKind::chimney>()},
            {{"fireplace"}, fixture.operator()<FixtureKind::fireplace>()},
            {{"radiator"}, fixture.operator()<FixtureKind::radiator>()},
            {{"built-in", "builtin"}, fixture.operator()<FixtureKind::builtIn>()},
            {{"half"},
             [](Reader& r, NoteLine& l, NotePlace p, const std::string&) {
                 l.expect({"wall"}, "“wall”");
                 readFixture(l, p, FixtureKind::halfWall, r.tool_, r.current(l, "half wall"));
             }},
            {{"stairs", "stair"}, fixture.operator()<FixtureKind::stairs>()},
            {{"column", "post"},
             [](Reader& r, NoteLine& l, NotePlace p, const std::string&) {
                 readColumn(l, p, r.tool_, r.room());
             }},
            {{"outlet"}, fixture.operator()<FixtureKind::outlet>()},
            {{"switch"}, fixture.operator()<FixtureKind::lightSwitch>()},
            {{"vent"}, fixture.operator()<FixtureKind::vent>()},
            {{"light"}, fixture.operator()<FixtureKind::wallLight>()},
            {{"studs", "stud"}, [](Reader& r, NoteLine& l, NotePlace, const std::string& w) {
                 readStuds(l, r.current(l, w));
             }}};
        return all;
    }

    [[noreturn]] static void unknown(NoteLine& line, const std::string& w) {
        std::vector<std::string> known;
        for (const auto& k : words())
            known.insert(known.end(), k.first.begin(), k.first.end());
        const auto near = nearestWord(w, known);
        line.failHere(worded("“{}” is not a word of tape notes", w),
                      near ? worded("did you mean “{}”?", *near)
                           : "a line begins with room, ceiling, wall, corner, diagonal, or with "
                             "what stands on the wall, like window or door");
    }

    TapeNotes& room() { return rooms_.back(); }

    void newRoom(NoteLine& line, NotePlace place) {
        auto n = tidyName(line.restOfLine());
        if (n.empty())
            line.failAhead("the room has no name", "write it like: room Supper room");
        if (characterCount(n) > 80)
            line.failHere("the name is too long", "use at most 80 characters");
        for (std::size_t i = 0; i + 1 < rooms_.size() + (room().walls.empty() ? 0 : 1); ++i)
            if (foldCase(rooms_[i].name) == foldCase(n))
                line.failHere(worded("there is a room {} already", rooms_[i].name),
                              "rooms of one job have names of their own");
        if (!room().walls.empty()) {
            if (rooms_.size() >= mostRooms)
                line.failHere(worded("the job has more than {} rooms", mostRooms),
                              "make another job of it");
            TapeNotes next;
            next.units = room().units;
            next.ceiling.height = usualCeiling(next.units);
            next.bareFeet = room().bareFeet;
            next.tolerance = room().tolerance;
            next.weights = room().weights;
            next.firstLine = place.line;
            rooms_.push_back(next);
            cornerGiven_ = false;
        }
        room().name = n;
    }

    void units(NoteLine& line) {
        const auto w = line.restOfLine();
        const auto u = readUnits(w);
        if (!u)
            line.failHere(worded("“{}” is no unit I know", w), "use feet, inches, mm, cm or m");
        if (!room().walls.empty())
            line.failHere("the units come after the first wall", "put them above it");
        room().units = *u;
        if (!room().ceiling.taped)
            room().ceiling.height = usualCeiling(*u);
        unitsSaid_ = true;
        const auto said = foldCase(w);
        room().bareFeet = said == "feet" || said == "foot" || said == "ft";
    }

    static double oneIn(NoteLine& line, std::string_view what) {
        if (line.ahead() == "1") {
            line.word();
            line.expect({"in"}, "“in”");
        }
        return line.number(what);
    }

    void tolerance(NoteLine& line) {
        const double n = oneIn(line, "the tolerance");
        if (n < 10 || n > 100000)
            line.failHere("a tolerance lies between 1 in 10 and 1 in 100000", "1 in 200 is usual");
        room().tolerance = n;
    }

    static Tool toolNamed(NoteLine& line) {
        if (line.take({"tape"}))
            return Tool::tape;
        if (line.take({"laser"}))
            return Tool::laser;
        if (line.take({"eye"}))
            return Tool::eye;
        line.failAhead("taken by what?", "say tape, laser or eye");
    }

    void accuracy(NoteLine& line) {
        auto& w = room().weights;
        const auto degrees = [&](Angle& out) {
            const double v = line.number("the accuracy");
            line.take({"degrees", "degree", "deg", "°"});
            if (v <= 0 || v > 45)
                line.failHere("no corner is as sure as that", "between 0 and 45 degrees");
            out = Angle::degrees(v);
        };
        if (line.take({"corner", "corners"}))
            return degrees(w.assumed);
        if (line.take({"angle", "angles"}))
            return degrees(w.measured);
        const Tool tool = toolNamed(line);
        auto& a = tool == Tool::tape ? w.tape : tool == Tool::laser ? w.laser : w.eye;
        a.fixed = line.length("the accuracy", false);
        if (line.comma()) {
            const double n = oneIn(line, "the accuracy");
            if (n < 2)
                line.failHere("that is no accuracy", "write it like: accuracy tape 1/8, 1 in 2000");
            a.share = 1 / n;
        }
    }

    void moulding(NoteLine& line, std::optional<Length>& out, std::string_view what) {
        const auto h = line.length(what, false);
        line.take({"high", "up", "deep"});
        if (out && abs(*out - h) > quiet)
            line.failHere(worded("{} is given twice, and differently", what), "keep one");
        if (h >= room().ceiling.height)
            line.failHere(worded("{} is as high as the ceiling", what),
                          "check the figure and its unit");
        out = h;
    }

    void north(NoteLine& line) {
        const double n = line.number("north");
        if (std::abs(n) > 360)
            line.failHere("north is more than a full turn",
                          "give degrees clockwise from the top of the plan");
        room().north = Angle::degrees(n);
    }

    void wall(NoteLine& line, NotePlace place) {
        const auto wanted = foldCase(wallName(static_cast<int>(room().walls.size())));
        // Without its letter it is the next.
        auto name = line.lengthAhead() ? wanted : line.name();
        if (name.size() > 1 && name.ends_with(":"))
            name.pop_back();
        wall(line, place, name);
    }

    void wallSaid(NoteLine& line, NotePlace place, const std::string& name) {
        if (room().bareFeet)
            line.bareFeet(0, 100);
        else
            askUnlikely(line, false);
        wall(line, place, name);
        if (!line.done())
            line.failAhead(worded("“{}” is left over at the end of the line", line.ahead()),
                           "take it out, or put a comma before it");
    }

    void wall(NoteLine& line, NotePlace place, const std::string& name) {
        auto& walls = room().walls;
        const auto wanted = wallName(static_cast<int>(walls.size()));
        const auto index = wallIndex(name);
        if (!index)
            line.failHere(worded("“{}” is no wall letter", name),
                          worded("this wall is {}", wanted));
        if (*index != static_cast<int>(walls.size()))
            line.failHere(
                worded("wall {} comes here", wallName(*index)),
                worded("walls are taken in turn to the right, and this one is {}", wanted));
        if (walls.size() >= mostWalls)
            line.failHere("the room has more than 200 walls", "split it into rooms");
        TapedWall w;
        w.name = wanted;
        w.run = line.taped(worded("wall {}", wanted), tool_, false);
        by(line, w.run.tool);
        w.place = place;
        w.cornerPlace = place;
        walls.push_back(w);
        cornerGiven_ = false;
    }

    static void by(NoteLine& line, Tool& tool) {
        line.comma();
        if (line.take({"by", "with"}))
            tool = toolNamed(line);
    }

    TapedWall& current(NoteLine& line, std::string_view what) {
        if (room().walls.empty())
            line.failHere(worded("this {} comes before any wall", what),
                          "write the wall first, like: wall A 15' 0\"");
        return room().walls.back();
    }

    void corner(NoteLine& line, NotePlace place) {
        auto& w = current(line, "corner");
        if (cornerGiven_)
            line.failHere(
                "this corner is given twice",
                worded("the next wall is {}", wallName(static_cast<int>(room().walls.size()))));
        cornerGiven_ = true;
        w.cornerPlace = place;
        if (line.done() || line.take({"right", "in", "inside", "square"}))
            return;
        if (line.take({"out", "outside"})) {
            w.insideAngle = Angle::degrees(270);
            return;
        }
        if (line.take({"unknown", "free"})) {
            w.corner = CornerSure::unknown;
            if (line.done())
                return;
        } else {
            w.corner = CornerSure::measured;
        }
        const double a = line.number("the corner");
        line.take({"degrees", "degree", "deg", "°"});
        if (a < 5 || a > 355)
            line.failHere(worded("{:g}° is no corner of a room", a),
                          "give the inside angle, like corner 135; an outside corner is over 180, "
                          "or “corner out”");
        w.insideAngle = Angle::degrees(a);
        if (w.corner == CornerSure::measured && line.take({"by"})) {
            line.expect({"eye"}, "“eye”");
            w.corner = CornerSure::byEye;
        }
    }

    void diagonal(NoteLine& line, NotePlace place) {
        TapedDiagonal d;
        d.place = place;
        d.from = cornerNamed(line);
        line.expect({"to"}, "“to”");
        d.to = cornerNamed(line);
        if (d.from == d.to)
            line.failHere("a diagonal runs between two corners", "name another corner");
        d.run = line.taped("the diagonal", tool_, false);
        by(line, d.run.tool);
        room().diagonals.push_back(d);
    }

    static int cornerNamed(NoteLine& line) {
        line.take({"corner"});
        const auto w = line.word();
        const auto i = wallIndex(w);
        if (!i)
            line.failHere(
                worded("“{}” is no corner", w),
                "a corner is named by the wall that begins there, like: diagonal A to D 23' 6\"");
        return *i;
    }

    /// A wall of 6.8 among metres is no wall of 6.8 cm; a ceiling of 255, where nothing has a unit,
    /// is none of 21 feet.
    void askUnlikely(NoteLine& line, bool ceiling) const {
        if (unitsSaid_)
            return;
        if (written_ == FirstUnit::metric)
            line.bareNotUnder(Length::centimetres(30));
        else if (written_ == FirstUnit::nothing)
            line.bareNotOver(Length::feet(ceiling ? 16 : 60));
    }

    std::string_view file_;
    FirstUnit written_ = FirstUnit::nothing;
    bool unitsSaid_ = false;
    std::vector<TapeNotes> rooms_;
    Tool tool_ = Tool::tape;
    ThingSaid said_; ///< what the line at hand is of, where it is said in more words
    bool cornerGiven_ = false;
};

} // namespace

const char* toolName(Tool t) {
    return t == Tool::tape ? "tape" : t == Tool::laser ? "laser" : "eye";
}

const Accuracy& Weights::of(Tool t) const {
    return t == Tool::tape ? tape : t == Tool::laser ? laser : eye;
}

const char* styleName(DoorStyle s) {
    constexpr const char* names[] = {"hinged", "double", "sliding", "pocket", "folding"};
    return names[static_cast<int>(s)];
}

const char* opensName(WindowOpens o) {
    constexpr const char* names[] = {"", "opens in", "opens out", "slides", "fixed"};
    return names[static_cast<int>(o)];
}

const char* fixtureName(FixtureKind k) {
    constexpr const char* names[] = {"chimney breast", "fireplace", "radiator",  "built-in",
                                     "half wall",      "column",    "stairs",    "outlet",
                                     "switch",         "vent",      "wall light"};
    return names[static_cast<int>(k)];
}

Length TapedPlace::on(Length wall, Length width) const {
    if (both())
        return (left->value + (wall - right->value - width)) / 2;
    return left      ? left->value
           : right   ? wall - right->value - width
           : centred ? (wall - width) / 2
                     : Length{};
}

std::vector<Length> TapedStuds::on(Length wall) const {
    if (spacing <= Length{})
        return each;
    std::vector<Length> out;
    for (Length s = first; s <= wall; s += spacing)
        out.push_back(s);
    return out;
}

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

Result<std::vector<TapeNotes>> readTapeNotes(std::string_view text, std::string_view file) {
    if (text.size() > mostBytes)
        return Problem{worded("the notes are over {} KB", mostBytes / 1000),
                       "they can't be of rooms that were taped by hand", std::string(file)};
    if (!isText(text) && text.find('\0') == std::string_view::npos)
        return Problem{"these notes are no text", "save them as UTF-8", std::string(file)};
    try {
        Reader reader(text, file);
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
