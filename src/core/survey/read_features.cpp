#include "survey/read_features.h"

#include "measure/texts.h"
#include "survey/note_parts.h"

namespace mezzet {

namespace {

void needPlace(NoteLine& line, const TapedPlace& at, std::string_view thing) {
    if (at.centred && (at.left || at.right))
        line.failAhead(worded("this {} is centred, and taped from a corner too", thing),
                       "say one of them");
    if (!at.given())
        line.failAhead(worded("this {} has no place on its wall", thing),
                       "add how far from left or from right it starts");
}

void needSize(NoteLine& line, Length l, std::string_view thing, std::string_view figure,
              std::string_view remedy) {
    if (l <= Length{})
        line.failAhead(worded("this {} has no {}", thing, figure), std::string(remedy));
}

int wallNamed(NoteLine& line, std::string_view example) {
    line.expect({"wall"}, "“wall” and its letter");
    const auto i = wallIndex(line.name());
    if (!i)
        line.failHere("that is no wall letter", std::string(example));
    return *i;
}

} // namespace

void readOpening(NoteLine& line, NotePlace place, const std::string& word, const ThingSaid& said,
                 Tool tool, TapedWall& wall) {
    TapedOpening o;
    o.place = place;
    o.kind = word == "window"    ? OpeningKind::window
             : word == "opening" ? OpeningKind::opening
                                 : OpeningKind::door;
    if (word == "closet") // a door with nothing but that behind it
        o.leadsTo = word;
    if (!said.leadsTo.empty())
        o.leadsTo = said.leadsTo;
    std::optional<DoorStyle> style = said.style;
    o.opens = said.opens.value_or(o.opens);
    if (line.done())
        line.failHere(worded("this {} has no measurements", word),
                      worded("write it like: {} 2' 0\" from left, 32 wide, 80 high", word));
    std::optional<Length> head;
    NoteParts parts(line, word, tool);
    parts.place(o.at)
        .after({"wide", "w"}, o.width)
        .after({"high", "tall", "h"},
               [&](const Taped& t) {
                   o.height = t.value;
                   o.heightTaped = true;
               })
        .before({"sill"},
                [&](const Taped& t) {
                    o.sill = t.value;
                    o.sillTaped = true;
                })
        .before({"head"}, head)
        .before({"reveal"}, o.reveal)
        .rest({"to"}, o.leadsTo)
        .choice({"leads", "leading"}, "where does it lead?", "say “leads to” and the room's name",
                {{{"to"}, [&] { o.leadsTo = line.restOfLine(); }}});
    if (o.kind == OpeningKind::window)
        parts
            .choice({"opens"}, "which way does it open?",
                    "say “opens in”, “opens out” or “opens sideways”",
                    {{{"in", "inward", "inwards"}, [&] { o.opens = WindowOpens::inward; }},
                     {{"out", "outward", "outwards"}, [&] { o.opens = WindowOpens::outward; }},
                     {{"sideways", "up"}, [&] { o.opens = WindowOpens::sliding; }}})
            .word({"slides", "sash"}, [&] { o.opens = WindowOpens::sliding; })
            .word({"fixed"}, [&] { o.opens = WindowOpens::fixed; });
    if (o.kind == OpeningKind::door) {
        const auto is = [&style](DoorStyle s) { return [&style, s] { style = s; }; };
        const auto hinged = [&](bool right) {
            return [&, right] {
                o.hingeRight = right;
                style = style.value_or(DoorStyle::hinged);
            };
        };
        parts.before({"undercut"}, o.undercut)
            .word({"double"}, is(DoorStyle::pair))
            .word({"sliding"}, is(DoorStyle::sliding))
            .word({"pocket"}, is(DoorStyle::pocket))
            .word({"folding"}, is(DoorStyle::folding))
            .choice({"hinge", "hinged", "hinges"}, "hinged on which side?",
                    "say “hinge left” or “hinge right”, as you face the door from inside",
                    {{{"right"}, hinged(true)}, {{"left"}, hinged(false)}})
            .choice({"slides", "opens", "folds"}, "to which side?", "say “slides left” or “right”",
                    {{{"right"}, [&] { o.hingeRight = true; }},
                     {{"left"}, [&] { o.hingeRight = false; }},
                     {{"in"}, [&] { o.swingsIn = true; }},
                     {{"out"}, [&] { o.swingsIn = false; }}})
            .choice({"swings", "swing"}, "which way does it swing?",
                    "say “swings in” or “swings out”",
                    {{{"in"}, [&] { o.swingsIn = true; }}, {{"out"}, [&] { o.swingsIn = false; }}});
    }
    parts.read();
    needPlace(line, o.at, word);
    needSize(line, o.width.value, word, "width", "add how wide it is");
    // No leaf is made wider than that: it is one of two, unless it is said to hang on one side.
    const Length widestLeaf = line.usual(Length::inches(44), Length::centimetres(110));
    o.style = style.value_or(o.kind == OpeningKind::door && o.width.value > widestLeaf
                                 ? DoorStyle::pair
                                 : DoorStyle::hinged);
    if (!o.heightTaped && head) {
        o.height = *head - o.sill;
        o.heightTaped = true;
    } else if (!o.heightTaped) {
        o.height = o.kind == OpeningKind::window
                       ? line.usual(Length::inches(48), Length::centimetres(120))
                       : line.usual(Length::inches(80), Length::centimetres(200));
    }
    if (o.kind == OpeningKind::window && !o.sillTaped) {
        o.sill =
            (head ? *head : line.usual(Length::inches(80), Length::centimetres(200))) - o.height;
        o.sillTaped = head.has_value();
    }
    if (o.height <= Length{} || o.sill < Length{})
        line.failAhead(worded("the heights of this {} don't go together", word),
                       "sill plus height gives the head");
    wall.openings.push_back(o);
}

namespace {

/// What may be said of each, and the usual heights of what is not said (common practice). The parts
/// write into `f`, which outlives them.
void sayOf(NoteParts& parts, NoteLine& line, TapedFixture& f) {
    const auto sizes = [&] {
        parts.after({"wide", "w", "long"}, f.width)
            .after({"deep", "d", "out"}, f.depth)
            .after({"high", "tall", "h"}, f.height);
    };
    switch (f.kind) {
    case FixtureKind::chimney:
        line.take({"breast"});
        sizes();
        break;
    case FixtureKind::fireplace: {
        sizes();
        parts.before({"hearth"}, f.hearthDepth)
            .before({"across"}, f.hearthWidth)
            .before({"fire"}, [&f](const Taped& t) { f.fireWidth = t.value; })
            .before({"lintel"}, f.fireHeight);
        break;
    }
    case FixtureKind::radiator:
        f.height = line.usual(Length::inches(24), Length::centimetres(60));
        f.up = line.usual(Length::inches(4), Length::centimetres(10));
        sizes();
        parts.after({"up"}, f.up);
        break;
    case FixtureKind::builtIn:
        sizes();
        parts.after({"up"}, f.up);
        break;
    case FixtureKind::halfWall:
        f.height = line.usual(Length::inches(42), Length::centimetres(105));
        parts.after({"long", "out", "deep"}, f.depth)
            .after({"thick", "wide"}, f.width)
            .after({"high", "tall"}, f.height);
        break;
    case FixtureKind::stairs:
        parts.after({"wide", "deep", "out"}, f.depth)
            .before({"riser", "rise", "risers"}, f.riser)
            .before({"going", "run", "tread"}, f.going)
            .choice(
                {"up"}, "which way do they climb?", "say “up left” or “up right”",
                {{{"left"}, [&f] { f.upRight = false; }}, {{"right"}, [&f] { f.upRight = true; }}})
            .before({"count"}, [&f, &line](const Taped& t) {
                // A bare count was read as a length in the notes' unit: take its figure.
                const auto n = t.written.find_first_not_of("0123456789");
                if (n != std::string::npos || t.written.size() > 3)
                    line.failHere("the count of risers is a whole number",
                                  "write it like: count 13");
                f.risers = std::stoi(t.written);
            });
        break;
    case FixtureKind::outlet:
        f.up = line.usual(Length::inches(14), Length::centimetres(30));
        parts.after({"up", "high"}, f.up);
        break;
    case FixtureKind::lightSwitch:
        f.up = line.usual(Length::inches(48), Length::centimetres(120));
        parts.after({"up", "high"}, f.up);
        break;
    case FixtureKind::wallLight:
        f.up = line.usual(Length::inches(66), Length::centimetres(170));
        parts.after({"up"}, f.up).after({"wide"}, f.width).after({"high", "tall"}, f.height);
        break;
    case FixtureKind::vent:
        f.width.value = line.usual(Length::inches(12), Length::centimetres(30));
        f.height = line.usual(Length::inches(6), Length::centimetres(15));
        parts.after({"wide"}, f.width).after({"high", "tall"}, f.height).after({"up"}, f.up);
        break;
    case FixtureKind::column:
        break;
    }
}

/// Whether all is there that each needs, and what follows from it.
void settle(NoteLine& line, TapedFixture& f) {
    const std::string thing = fixtureName(f.kind);
    needPlace(line, f.at, thing);
    switch (f.kind) {
    case FixtureKind::chimney:
    case FixtureKind::fireplace:
        if (f.width.value <= Length{} || f.depth <= Length{})
            line.failAhead(worded("a {} needs its place, width and depth", thing),
                           worded("write it like: {} 4' 6\" from left, 56 wide, 14 deep",
                                  f.kind == FixtureKind::chimney ? "chimney" : "fireplace"));
        break;
    case FixtureKind::radiator:
        if (f.depth <= Length{})
            f.depth = line.usual(Length::inches(5), Length::centimetres(12));
        needSize(line, f.width.value, thing, "width", "add how wide it is");
        break;
    case FixtureKind::builtIn:
        needSize(line, f.width.value, thing, "width", "add how wide it is");
        needSize(line, f.depth, thing, "depth", "add how deep it is");
        break;
    case FixtureKind::halfWall:
        if (f.width.value <= Length{})
            f.width.value = line.usual(Length::inches(4.5), Length::centimetres(12));
        needSize(line, f.depth, thing, "length", "add how far out it runs, like 4' long");
        break;
    case FixtureKind::stairs:
        if (f.risers < 1 || f.riser <= Length{} || f.going <= Length{} || f.depth <= Length{})
            line.failAhead("stairs need their width, riser, going and count",
                           "write it like: stairs 1' from left, 36 wide, riser 7 1/2, going 10, "
                           "count 13, up right");
        // The top riser meets the floor above, so there is one going fewer than risers.
        f.width.value = f.going * std::max(f.risers - 1, 1);
        break;
    default:
        break;
    }
    if (f.kind == FixtureKind::fireplace) {
        if (f.fireWidth <= Length{})
            f.fireWidth = f.width.value * 0.55;
        if (f.fireHeight <= Length{})
            f.fireHeight = line.usual(Length::inches(30), Length::centimetres(75));
        if (f.hearthDepth > Length{} && f.hearthWidth <= Length{})
            f.hearthWidth = f.width.value;
    }
}

} // namespace

void readFixture(NoteLine& line, NotePlace place, FixtureKind kind, Tool tool, TapedWall& wall) {
    TapedFixture f;
    f.kind = kind;
    f.place = place;
    NoteParts parts(line, fixtureName(kind), tool);
    parts.place(f.at);
    sayOf(parts, line, f);
    parts.read();
    settle(line, f);
    wall.fixtures.push_back(f);
}

void readColumn(NoteLine& line, NotePlace place, Tool tool, TapeNotes& notes) {
    TapedFixture f;
    f.kind = FixtureKind::column;
    f.place = place;
    const auto both = [&f](const Taped& t) {
        f.width = t;
        f.depth = t.value;
    };
    NoteParts(line, "column", tool)
        .fromWalls(f.columnAt)
        .after({"square"}, both)
        .after({"round", "across"},
               [&](const Taped& t) {
                   both(t);
                   f.round = true;
               })
        .after({"wide", "w"}, f.width)
        .after({"deep", "d"}, f.depth)
        .after({"high", "tall"}, f.height)
        .word({"centre", "center", "middle"}, [&] { f.toFace = false; })
        .read();
    if (f.width.value <= Length{} || f.depth <= Length{})
        line.failAhead("this column has no size", "add it, like 10 square or 8 round");
    if (f.columnAt.size() < 2)
        line.failAhead("a column is placed from two walls or more",
                       "write it like: column 3' from wall A, 5' from wall D, 10 square");
    notes.columns.push_back(f);
}

void readRecess(NoteLine& line, NotePlace place, RecessKind kind, Tool tool, TapedWall& wall) {
    TapedRecess r;
    r.kind = kind;
    r.place = place;
    const char* thing = kind == RecessKind::alcove ? "alcove"
                        : kind == RecessKind::bay  ? "bay"
                                                   : "bow";
    NoteParts parts(line, thing, tool);
    parts.place(r.at)
        .after({"wide", "w", "chord"}, r.width)
        .after({"deep", "d", "rise"}, r.depth)
        .after({"high", "tall"}, r.height)
        .before({"face"}, r.face);
    if (kind != RecessKind::alcove)
        parts.word({"sill", "head"}, [&] {
            line.failHere(
                worded("a {} has no sill of its own: its windows are in its walls", thing),
                "tape its walls in turn, each with its window, or leave the sill out");
        });
    parts.read();
    needPlace(line, r.at, thing);
    needSize(line, r.width.value, thing, "width", "add how wide it is");
    needSize(line, r.depth, thing, kind == RecessKind::bow ? "rise" : "depth",
             "add how far it goes back");
    if (kind == RecessKind::bay && r.face <= Length{})
        r.face = r.width.value - r.depth * 2;
    if (kind == RecessKind::bay && (r.face <= Length{} || r.face > r.width.value))
        line.failAhead("the face of this bay doesn't go with its width and depth",
                       "add its middle width, like: face 3' 0\"");
    if (kind == RecessKind::bow && r.depth > r.width.value / 2)
        line.failAhead("this bow rises more than half its chord",
                       "an arc rises at most half its chord; tape it as more than one");
    wall.recesses.push_back(r);
}

void readCurve(NoteLine& line, TapedWall& wall) {
    const auto rise = line.length("the curve", false);
    line.take({"rise"});
    if (rise > wall.run.value / 2)
        line.failHere("this wall rises more than half its chord",
                      "an arc rises at most half its chord; tape it as two walls");
    if (line.take({"in", "inward", "inwards"}))
        wall.rise = -rise;
    else {
        line.take({"out", "outward", "outwards"});
        wall.rise = rise;
    }
}

void readStuds(NoteLine& line, TapedWall& wall) {
    TapedStuds s;
    if (line.take({"at", "sounded"})) {
        line.take({"at"});
        do {
            s.each.push_back(line.length("each stud"));
            if (s.each.size() > 1 && s.each.back() <= s.each[s.each.size() - 2])
                line.failHere("the studs go from left to right", "put them in order");
        } while (line.comma() && !line.done());
        s.first = s.each.front();
        wall.studs = s;
        return;
    }
    bool given = false;
    while (!line.done()) {
        if (line.take({"first"})) {
            s.first = line.length("the first stud");
            line.expect({"from"}, "“from left”");
            line.take({"the"});
            if (!line.take({"left"}))
                line.failAhead("studs are counted from the left corner",
                               "sound the first from the left");
            line.take({"corner"});
            given = true;
        } else {
            s.spacing = line.length("the stud spacing", false);
            line.take({"apart", "on"});
            line.take({"centre", "center"});
        }
        if (!line.done() && !line.comma())
            line.failAhead(worded("“{}” doesn't follow here", line.ahead()),
                           "put a comma between the parts");
    }
    if (!given || s.spacing <= Length::inches(4))
        line.failAhead(
            "studs need a spacing and a first one",
            "write it like: studs 16 apart, first 14 from left, or: studs at 14, 30, 46");
    wall.studs = s;
}

void readCeiling(NoteLine& line, NotePlace place, TapeNotes& notes) {
    const auto h = line.length("the ceiling height", false);
    auto& c = notes.ceiling;
    if (c.taped && abs(h - c.height) > quiet)
        line.failHere(worded("the ceiling height is given twice, and differently: line {} "
                             "says {}",
                             c.place.line, write(c.height, {notes.units, 16})),
                      "keep one; a ceiling that slopes has “slope wall B, knee 4', full at 6'”");
    if (h < Length::inches(48))
        line.failHere("a ceiling under 4' can't be meant", "check the figure and its unit");
    line.take({"flat"});
    c.height = h;
    c.taped = true;
    c.place = place;
}

void readSlope(NoteLine& line, NotePlace place, TapeNotes& notes) {
    Slope s;
    s.place = place;
    line.take({"from"});
    s.wall = wallNamed(line, "write it like: slope wall B, knee 4' 0\", full at 6' 0\"");
    NoteParts(line, "slope", Tool::tape).before({"knee"}, s.knee).before({"full"}, s.full).read();
    if (s.full <= Length{})
        line.failAhead("where does the slope reach the full height?",
                       "add how far out from the wall, like: full at 6' 0\"");
    for (const auto& other : notes.ceiling.slopes)
        if (other.wall == s.wall)
            line.failHere(worded("wall {} has a slope already, on line {}", wallName(s.wall),
                                 other.place.line),
                          "keep one");
    notes.ceiling.slopes.push_back(s);
}

void readTray(NoteLine& line, TapeNotes& notes) {
    Tray t;
    NoteParts(line, "tray", Tool::tape).before({"border"}, t.border).before({"up"}, t.up).read();
    if (t.border <= Length{} || t.up <= Length{})
        line.failAhead("a tray needs its border and how far it goes up",
                       "write it like: tray border 18, up 8");
    notes.ceiling.tray = t;
}

void readBeam(NoteLine& line, Tool tool, TapeNotes& notes) {
    Beam b;
    std::vector<FromWall> from;
    NoteParts(line, "beam", tool)
        .fromWalls(from)
        .after({"wide", "w"}, b.width)
        .after({"deep", "drop", "d"}, b.drop)
        .read();
    if (from.size() != 1 || b.width <= Length{} || b.drop <= Length{})
        line.failAhead("a beam needs its wall, width and depth",
                       "write it like: beam 6' from wall A, 8 wide, 10 deep");
    b.at = from.front();
    notes.ceiling.beams.push_back(b);
}

void readJoists(NoteLine& line, TapeNotes& notes) {
    Joists j;
    j.spacing = line.length("the joist spacing", false);
    line.take({"apart"});
    if (!line.comma())
        line.failAhead("joists need a first one",
                       "write it like: joists 16 apart, first 9 from wall A");
    line.expect({"first"}, "“first”");
    j.first = line.length("the first joist");
    line.expect({"from"}, "“from”");
    j.wall = wallNamed(line, "write it like: joists 16 apart, first 9 from wall A");
    if (j.spacing <= Length::inches(4))
        line.failHere("joists under 4 in apart can't be meant", "check the figure and its unit");
    notes.ceiling.joists = j;
}

void readStep(NoteLine& line, Tool tool, TapeNotes& notes) {
    FloorStep s;
    std::vector<FromWall> from;
    NoteParts(line, "step", tool)
        .fromWalls(from)
        .before({"up"}, s.rise)
        .before({"down"}, [&](const Taped& t) { s.rise = -t.value; })
        .before({"in"},
                [&](const Taped& t) {
                    s.steps = t.written.size() == 1 && t.written[0] >= '1' && t.written[0] <= '9'
                                  ? t.written[0] - '0'
                                  : 0;
                    if (s.steps == 0)
                        line.failHere("the count of steps is a whole number from 1 to 9",
                                      "write it like: in 2");
                })
        .read();
    if (from.size() != 1 || abs(s.rise) <= quiet)
        line.failAhead("a step needs its wall and how far it goes up or down",
                       "write it like: step 6' from wall A, down 7");
    s.at = from.front();
    notes.steps.push_back(s);
}

} // namespace mezzet
