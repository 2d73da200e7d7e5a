// What is said of a rug or a carpet: its outline, its edges, its pile, what lies under it.
#include "edit/phrase.h"
#include "edit/rug_told.h"
#include "measure/text.h"
#include "measure/texts.h"
#include "scheme/rug.h"

#include <algorithm>

namespace mezzet {

namespace {

using Is = Target::Is;

/// What is told of it by this line, begun from what was told before.
RugWork& rugWork(Placing& p) {
    if (!p.out.rug)
        p.out.rug = rugOf(p.subject);
    return *p.out.rug;
}

/// The fit that is told of; begun when none is there.
RugFit& fitOf(Placing& p) {
    RugWork& work = rugWork(p);
    if (!work.fit)
        work.fit.emplace();
    return *work.fit;
}

bool fitted(const Placing& p) {
    return p.out.rug ? p.out.rug->fit.has_value() : rugOf(p.subject).fit.has_value();
}

bool takeMark(WordsReader& in, char mark) {
    if (in.done() || in.rest().front() != mark)
        return false;
    in.goTo(in.at() + 1);
    return true;
}

/// "corners at 24, 24; 120, 24; 120, 60"
bool corners(Placing& p) {
    const Wall& a = p.scene.room->walls.front();
    do {
        if (p.in.done())
            break; // a mark at the end
        const std::size_t at = p.in.at();
        const Length x = p.in.length("a corner's place along wall A");
        if (!p.in.comma() && !p.in.take({"by", "x", "and"}))
            p.in.fail(at, p.in.at() - at, "a corner has two figures",
                      "say it like: corners at 24, 24; 120, 24; 120, 60; 24, 60");
        const Length y = p.in.length("its place into the room");
        p.out.corners.push_back(a.start + a.along() * x.mm() + a.inward() * y.mm());
    } while (takeMark(p.in, ';') || p.in.take({"to"}));
    if (p.out.corners.size() < 3)
        p.fault("an outline has three corners or more",
                "say it like: corners at 24, 24; 120, 24; 120, 60; 24, 60");
    rugWork(p).fit.reset();
    rugWork(p).offStairs();
    return true;
}

bool toRoom(Placing& p) {
    RugFit& fit = fitOf(p);
    rugWork(p).offStairs();
    if (p.said.find("wall to wall") != std::string_view::npos)
        fit.border = {};
    else if (!rugOf(p.subject).fit)
        fit.border = p.in.job().library.book->habit("rug-border");
    return true;
}

/// "cut to zone Seating, 12 beyond": as large as what stands in it, and so far beyond.
bool toZone(Placing& p) {
    p.in.take({"zone", "the zone"});
    const Zone* zone = nullptr;
    for (const Zone& z : p.in.job().scheme().zones)
        if (zone == nullptr && p.in.take({foldCase(z.name)}))
            zone = &z;
    if (zone == nullptr) {
        std::vector<std::string> names;
        for (const Zone& z : p.in.job().scheme().zones)
            names.push_back(z.name);
        p.fault(names.empty() ? std::string("the scheme has no zones") : "that is no zone",
                names.empty() ? "make one: zone Seating is sofa and coffee table"
                              : worded("say one of: {}", listed(names, "or")));
    }
    Length beyond;
    const std::size_t here = p.in.at();
    p.in.comma();
    if (p.in.lengthAhead()) {
        beyond = p.in.length("how far beyond it");
        if (!p.in.take({"beyond", "beyond it", "past it", "past", "all round"})) {
            p.in.goTo(here);
            beyond = {};
        }
    }
    Box box;
    for (const int id : zone->pieces)
        if (const Placed* where = p.scene.fromAbove(id);
            where != nullptr && !p.scene.pieceById(id)->kind->flat())
            box.include(bounds(where->shape));
    if (box.empty())
        p.fault(worded("nothing of zone {} stands on the floor", zone->name), "name another");
    const Vec2 more{beyond.mm(), beyond.mm()};
    box.include(box.low - more);
    box.include(box.high + more);
    p.out.corners = {box.low, {box.high.x, box.low.y}, box.high, {box.low.x, box.high.y}};
    rugWork(p).fit.reset();
    rugWork(p).offStairs();
    return true;
}

/// "10 off the walls"
bool offWalls(Placing& p) {
    if (!fitted(p))
        return false;
    RugFit& fit = fitOf(p);
    fit.border = p.measured;
    std::erase_if(fit.off, [](const RugFit::Off& o) { return o.of.is == Is::wall; });
    return true;
}

/// "6 off the hearth", "12 off wall B"
bool offThat(Placing& p) {
    if (!fitted(p))
        return false;
    std::optional<Target> t;
    if (p.in.take({"hearth", "the hearth"})) {
        for (const Fixture& f : p.scene.room->fixtures)
            if (f.isBreast())
                t = targetOf(f);
        if (!t)
            p.fault("the room has no hearth", "name a wall, a column or the stairs");
    } else {
        try {
            t = p.target();
        } catch (const LineFault&) {
            return false;
        }
    }
    if (t->is != Is::wall && t->is != Is::chimney && t->is != Is::fixture)
        return false; // from a piece: then it is placed by that
    RugFit& fit = fitOf(p);
    std::erase_if(fit.off, [&](const RugFit::Off& o) { return o.of == *t; });
    fit.off.push_back({*t, p.measured});
    return true;
}

bool isGap(const Target& t) {
    return t.is == Is::opening || t.is == Is::door || t.is == Is::window;
}

bool endsAt(Placing& p) {
    p.in.take({"the line of", "the jamb of", "the near jamb of"});
    const Target t = p.target(false);
    if (!isGap(t))
        p.fault("a carpet ends at an opening or a door", "say it like: ending at opening 1");
    RugFit& fit = fitOf(p);
    if (std::find(fit.ends.begin(), fit.ends.end(), t) == fit.ends.end())
        fit.ends.push_back(t);
    return true;
}

bool shortOf(Placing& p) {
    p.in.take({"the swing of"});
    const Target t = p.target(false);
    p.in.take({"'s swing", "swing", "'s leaf"});
    if (t.is != Is::door)
        p.fault("only a door swings", "say it like: stopping short of door 2's swing");
    RugFit& fit = fitOf(p);
    if (std::find(fit.clear.begin(), fit.clear.end(), t) == fit.clear.end())
        fit.clear.push_back(t);
    return true;
}

bool onPad(Placing& p) {
    const Length thick = p.in.lengthAhead() ? p.in.length("the pad's thickness")
                                            : p.in.job().library.book->habit("rug-pad");
    p.in.take({"thick"});
    if (thick <= Length{} || thick > Length::inches(3))
        p.fault("no pad is as thick as that", "say it like: on a pad 1/4");
    rugWork(p).pad = thick;
    return true;
}

bool noPad(Placing& p) {
    rugWork(p).pad = Length{};
    return true;
}

/// "edges in serging", "edge 2 in leather tape 3", "edges 1 and 3 in fringe"
bool edges(Placing& p) {
    const auto which = readEdges(p.in);
    readFinish(p.in, rugWork(p), which);
    return true;
}

bool bound(Placing& p) {
    p.in.goTo(p.start);
    readFinish(p.in, rugWork(p), {});
    return true;
}

/// "pile 3/8", "pile across"
bool pile(Placing& p) {
    p.in.take({"runs", "running"});
    if (p.in.take({"across", "crosswise", "along its shorter side"})) {
        rugWork(p).pileAcross = true;
        return true;
    }
    if (p.in.take({"along", "lengthwise", "along its longer side"})) {
        rugWork(p).pileAcross = false;
        return true;
    }
    const Length thick = p.in.length("how thick the pile is");
    p.in.take({"thick", "deep", "high"});
    if (thick <= Length{} || thick > Length::inches(4))
        p.fault("no pile is as thick as that", "say it like: pile 3/8");
    p.out.thickness = thick;
    return true;
}

bool madeOf(Placing& p) {
    const RugBook& book = *p.in.job().library.rugs;
    const RugMaterial* best = nullptr;
    std::size_t end = 0;
    for (const RugMaterial& m : book.materials) {
        std::string plain = m.name;
        std::erase(plain, ',');
        std::string id = m.id;
        std::replace(id.begin(), id.end(), '-', ' ');
        for (const auto& word : {plain, id}) {
            const auto folded = foldCase(word);
            p.in.offer(folded);
            if (const std::size_t there = p.in.endOf(folded); there > end) {
                end = there;
                best = &m;
            }
        }
    }
    if (best == nullptr) {
        std::vector<std::string> names;
        for (const RugMaterial& m : book.materials) {
            names.push_back(m.name);
            std::erase(names.back(), ',');
        }
        p.in.failAhead("no carpet is made of that", worded("say one of: {}", listed(names, "or")));
    }
    p.in.goTo(end);
    rugWork(p).material = best->id;
    p.out.thickness = p.out.thickness.value_or(best->pile);
    return true;
}

bool onStairs(Placing& p) {
    const Target t = p.target(false);
    if (t.is != Is::fixture || t.built != FixtureKind::stairs)
        p.fault("a runner lies on stairs", "say it like: on stairs 1");
    RugWork& work = rugWork(p);
    work.stairs = t.index;
    work.fit.reset();
    work.outline.clear();
    return true;
}

/// The break of the stairs after so many risers, which are said next; begun when there is none.
StairBreak& breakAfter(Placing& p) {
    auto& all = rugWork(p).breaks;
    int after = 0;
    if (!p.in.takeCount(after) || after < 1)
        p.in.failAhead("after how many risers?", "say it like: landing 36 after 6");
    p.in.take({"risers", "riser", "steps", "step", "treads"});
    const auto at =
        std::find_if(all.begin(), all.end(), [&](const StairBreak& b) { return b.after >= after; });
    if (at != all.end() && at->after == after)
        return *at;
    if (all.size() == mostStairBreaks)
        p.fault(worded("a stair has at most {} breaks", mostStairBreaks), "leave some out");
    return *all.insert(at, {after});
}

bool landing(Placing& p) {
    const Length l = p.in.length("the landing's length");
    if (l <= Length{})
        p.fault("a landing has a length", "say it like: landing 36 after 6");
    if (!p.in.take({"after"}))
        p.in.failAhead("after how many risers?", "say it like: landing 36 after 6");
    StairBreak& b = breakAfter(p);
    b.landing = l;
    const std::size_t here = p.in.at();
    p.in.comma();
    p.in.take({"and"});
    if (p.in.take({"turning", "turns", "where it turns"}))
        b.turns = true;
    else
        p.in.goTo(here);
    return true;
}

bool winders(Placing& p) {
    breakAfter(p).turns = true;
    return true;
}

bool oneFlight(Placing& p) {
    rugWork(p).breaks.clear();
    return true;
}

bool repeat(Placing& p) {
    rugWork(p).repeat = p.in.length("the pattern's repeat");
    if (rugWork(p).repeat <= Length{})
        p.fault("a pattern repeats after some length", "say it like: repeat 18");
    return true;
}

bool drop(Placing& p) {
    rugWork(p).drop = p.in.length("the pattern's drop");
    if (rugWork(p).drop <= Length{})
        p.fault("a pattern drops by some length", "say it like: repeat 18, drop 9");
    return true;
}

bool rounded(Placing& p) {
    p.out.rounded = p.in.length("the corners' radius");
    if (*p.out.rounded < Length{})
        p.fault("a radius is not less than nothing", "say it like: corners rounded 6");
    return true;
}

template <bool RugWork::*field, bool value> bool yes(Placing& p) {
    rugWork(p).*field = value;
    return true;
}

} // namespace

std::span<const Phrase> rugPhrases() {
    static const std::vector<Phrase> all{
        {.begins = {"corners at", "corners", "with corners at"},
         .of = SaidOf::rug,
         .read = &corners,
         .follows = Follows::length,
         .help =
             "its outline, corner by corner, parted by “;” or “to”: along wall A, into the room",
         .example = "corners at 24, 24 to 120, 24 to 120, 60 to 24, 60"},
        {.begins = {"cut to the room", "cut to room", "fitted to the room", "fitted",
                    "cut to the hall", "wall to wall"},
         .of = SaidOf::rug,
         .read = &toRoom,
         .help = "its outline follows the room's, a border off the walls and what is built in",
         .example = "cut to the room, 10 off the walls"},
        {.begins = {"cut to zone", "cut to the zone", "under zone"},
         .of = SaidOf::rug,
         .read = [](Placing& p) { return toZone(p); },
         .follows = Follows::place,
         .help = "as large as what stands in a zone, and so far beyond it",
         .example = ""},
        {.begins = {"off the walls", "off walls", "off all walls", "from the walls",
                    "off each wall", "from all walls", "in from the walls", "border"},
         .afterLength = true,
         .of = SaidOf::rug,
         .read = &offWalls,
         .help = "the border of one that is cut to the room",
         .example = ""},
        {.begins = {"off", "from"},
         .afterLength = true,
         .of = SaidOf::rug,
         .read = &offThat,
         .help = "its own border off one wall, the hearth, a column or the stairs",
         .example = "cut to the room, 10 off the walls, 6 off wall B"},
        {.begins = {"ending at", "ends at", "end at"},
         .of = SaidOf::rug,
         .read = &endsAt,
         .follows = Follows::place,
         .help = "it ends at the near jamb, or on the line of the wall at a hall's end",
         .example = "cut to the room, ending at door 1"},
        {.begins = {"stopping short of", "stops short of", "short of", "clear of"},
         .of = SaidOf::rug,
         .read = &shortOf,
         .follows = Follows::place,
         .help = "it ends before what a door's leaf sweeps",
         .example = "cut to the room, stopping short of door 1's swing"},
        {.begins = {"on a pad", "on pad", "with a pad", "over a pad", "pad"},
         .of = SaidOf::rug,
         .read = &onPad,
         .help = "how thick the pad under it is",
         .example = "on a pad 1/4"},
        {.begins = {"without a pad", "without pad", "no pad", "with no pad"},
         .of = SaidOf::rug,
         .read = &noPad,
         .help = "",
         .example = "without a pad"},
        {.begins = {"taped", "taped down", "held down"},
         .of = SaidOf::rug,
         .read = &yes<&RugWork::taped, true>,
         .help = "its edges are held to the floor",
         .example = "taped"},
        {.begins = {"edges", "edge", "all edges"},
         .of = SaidOf::rug,
         .read = &edges,
         .follows = Follows::place,
         .help = "how its edges are finished; they count from its first corner",
         .example = "edges in serging, edge 2 in leather tape 3"},
        {.begins = {"bound", "serged", "fringed", "hand finished"},
         .of = SaidOf::rug,
         .read = &bound,
         .help = "the same of all its edges",
         .example = "bound"},
        {.begins = {"pile"},
         .of = SaidOf::rug,
         .read = &pile,
         .follows = Follows::place,
         .help = "how thick it is without its pad; which way its pile runs",
         .example = "pile 3/8; pile across"},
        {.begins = {"made of", "woven of"},
         .of = SaidOf::rug,
         .read = &madeOf,
         .follows = Follows::place,
         .help = "its fibre and how it is made up",
         .example = "made of wool looped"},
        {.begins = {"on the stairs", "on stairs", "up the stairs", "up stairs"},
         .of = SaidOf::rug,
         .read =
             [](Placing& p) {
                 p.in.goTo(p.start);
                 p.in.take({"on", "up"});
                 return onStairs(p);
             },
         .help = "a runner up the stairs of the room",
         .example = ""},
        {.begins = {"with a landing of", "with a landing", "a landing of", "landing of", "landing"},
         .of = SaidOf::rug,
         .read = &landing,
         .follows = Follows::length,
         .help = "a landing of the stairs it goes up, after so many risers; “turning” where it is "
                 "cut there",
         .example = ""},
        {.begins = {"winders after", "with winders after", "turning after", "turns after",
                    "winding after"},
         .of = SaidOf::rug,
         .read = &winders,
         .follows = Follows::number,
         .help = "the stairs turn there by winders, and it is cut",
         .example = ""},
        {.begins = {"in one flight", "without landings", "no landings"},
         .of = SaidOf::rug,
         .read = &oneFlight,
         .help = "",
         .example = ""},
        {.begins = {"capped"},
         .of = SaidOf::rug,
         .read = &yes<&RugWork::capped, true>,
         .help = "drawn in under each nosing; else it falls from it",
         .example = ""},
        {.begins = {"as a waterfall", "waterfall"},
         .of = SaidOf::rug,
         .read = &yes<&RugWork::capped, false>,
         .help = "",
         .example = ""},
        {.begins = {"ready made", "as it comes"},
         .of = SaidOf::rug,
         .read = &yes<&RugWork::ready, true>,
         .help = "bought as it is; else it is cut off a roll",
         .example = "ready made"},
        {.begins = {"from the roll", "off the roll", "broadloom"},
         .of = SaidOf::rug,
         .read = &yes<&RugWork::ready, false>,
         .help = "",
         .example = ""},
        {.begins = {"with seams", "seamed"},
         .of = SaidOf::rug,
         .read = &yes<&RugWork::seams, true>,
         .help = "it may be made of several lengths even where one would do",
         .example = "with seams"},
        {.begins = {"without seams", "in one piece", "no seams"},
         .of = SaidOf::rug,
         .read = &yes<&RugWork::seams, false>,
         .help = "",
         .example = ""},
        {.begins = {"repeat", "pattern repeat"},
         .of = SaidOf::rug,
         .read = &repeat,
         .follows = Follows::length,
         .help = "of its pattern, along the pile",
         .example = "repeat 18, drop 9"},
        {.begins = {"drop", "pattern drop"},
         .of = SaidOf::rug,
         .read = &drop,
         .follows = Follows::length,
         .help = "how far the pattern is shifted from one length to the next",
         .example = ""},
        {.begins = {"corners rounded", "rounded corners", "rounded"},
         .of = SaidOf::rug,
         .read = &rounded,
         .follows = Follows::length,
         .help = "the radius of its corners",
         .example = "corners rounded 6"},
    };
    return all;
}

} // namespace mezzet
