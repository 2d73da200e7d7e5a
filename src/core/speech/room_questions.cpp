// What the room itself measures, and how many there are of a thing.
#include "edit/arrange.h"
#include "edit/words_reader.h"
#include "judge/ahead.h"
#include "judge/unmeasured.h"
#include "judge/ways.h"
#include "judge/zones.h"
#include "measure/text.h"
#include "measure/texts.h"
#include "room/facts.h"
#include "scheme/spoken.h"
#include "speech/fit_questions.h"
#include "speech/questions.h"

#include <algorithm>
#include <cmath>

namespace mezzet {

namespace {

using Is = Target::Is;

/// "of the room", "has the room", "is there in here": words about the room, which need not be said.
void ofTheRoom(Asking& a) {
    a.in.take({"are there", "is there", "are", "is", "have i got", "have we got", "do i have",
               "do we have", "does", "has", "in", "of"});
    a.in.article();
    a.in.take({"room have", "room", "in here", "in the room", "here", "altogether", "in all"});
    a.in.take({"have", "in here", "in the room", "altogether", "in all", "has"});
}

/// "what is the area of the room", "how many m2 is the floor", "… wall A"
std::optional<Answer> whatArea(Asking& a) {
    a.in.take({"of", "is", "are", "has", "does", "in"});
    a.in.article();
    const auto units = a.job.notation.units;
    const auto area = [&](double mm2) { return writeArea(mm2, units); };
    if (!a.job.room->closed)
        a.in.failAhead("the room is not closed, so it has no area", "tape the walls all round");
    const auto facts = factsOf(*a.job.room);
    const bool all = a.in.take({"walls", "wall area"});
    if (!all && !a.in.done() && a.in.endOf("wall") > 0) {
        const Target t = a.in.target(false);
        a.in.take({"have", "has"});
        a.end();
        if (t.is != Is::wall)
            return {};
        return Answer{worded("{} is {}, its openings taken off", capital(spoken(t, a.wording())),
                             area(netAreaOf(*a.job.room, t.index)))};
    }
    if (all) {
        a.end();
        return Answer{worded("The walls are {}, with the openings {} more",
                             area(facts.netWallArea()), area(facts.openingsArea))};
    }
    if (a.in.take({"ceiling"})) {
        a.end();
        return Answer{worded("The ceiling is {}", area(facts.ceilingArea))};
    }
    const std::size_t at = a.in.at();
    if (!a.in.done() && !a.in.take({"floor", "room", "flooring", "carpet", "the floor"})) {
        a.in.goTo(at);
        const Target t = a.in.target();
        a.in.take({"have", "has", "take", "takes", "cover", "covers"});
        a.end();
        const Piece* p = t.is == Is::piece ? a.scene->pieceById(t.piece) : nullptr;
        if (p == nullptr)
            return {};
        const double other = p->onWall() ? p->size.height.mm() : p->size.depth.mm();
        Answer out{worded("{} takes {} by its width and {}", p->name,
                          area(p->size.width.mm() * other),
                          told(p->onWall() ? "height" : "depth"))};
        out.about = {p->id};
        return out;
    }
    a.in.take({"have", "has", "of the room", "here"});
    a.end();
    return Answer{worded("The floor is {}", area(facts.floorArea))};
}

/// "what is the longest wall?"
std::optional<Answer> whichIsLongest(Asking& a, bool longest) {
    a.in.take({"wall", "one"});
    a.end();
    const auto& walls = a.job.room->walls;
    if (walls.empty())
        return {};
    const auto shorter = [](const Wall& x, const Wall& y) {
        return x.length() + quiet < y.length();
    };
    const Length best = (longest ? std::max_element(walls.begin(), walls.end(), shorter)
                                 : std::min_element(walls.begin(), walls.end(), shorter))
                            ->length();
    std::vector<std::string> names;
    for (const Wall& w : walls)
        if (abs(w.length() - best) <= quiet)
            names.push_back(worded("wall {}", w.name));
    const auto said = write(best, a.job.notation);
    return Answer{capital(names.size() > 1 ? worded("{} are {} long", listed(names, "and"), said)
                                           : worded("{} is {} long", names.front(), said))};
}

/// "how high is the sill of window 2?", "how high are the sills?"
std::optional<Answer> howHighSill(Asking& a) {
    a.in.take({"of", "in", "on", "under"});
    std::optional<Target> of;
    if (!a.in.done())
        of = a.in.target(false);
    a.end();
    std::vector<std::string> parts;
    for (const Opening& o : a.job.room->openings)
        if (o.kind == OpeningKind::window &&
            (!of || *of == targetOf(o) || (of->is == Is::wall && of->index == o.wall)))
            parts.push_back(worded("the sill of {} is at {}", spoken(targetOf(o), a.wording()),
                                   write(o.sill, a.job.notation)));
    if (parts.empty())
        return {};
    return Answer{capital(listed(parts, "and"))};
}

/// "how wide is the alcove?", "how deep is the bay?"
std::optional<Answer> howBigRecess(Asking& a) {
    a.end();
    std::vector<std::string> parts;
    const auto question = foldCase(a.in.text());
    for (const Recess& r : a.job.room->recesses) {
        const std::string_view name = r.kind == RecessKind::alcove ? "alcove"
                                      : r.kind == RecessKind::bay  ? "bay"
                                                                   : "bow";
        if (question.find(name) == std::string::npos)
            continue;
        const auto size = [&](Length l) { return write(l, a.job.notation); };
        parts.push_back(worded("the {} in {} is {} wide and {} deep", mezzet::told(name),
                               spoken(wallTarget(r.wall), a.wording()), size(r.width),
                               size(r.depth)));
    }
    if (parts.empty())
        return {};
    return Answer{capital(listed(parts, "and"))};
}

/// "is there a way from the door to the sofa?", "is there a clear path to window 1?"
std::optional<Answer> isThereAWay(Asking& a) {
    const std::size_t start = a.in.at();
    std::optional<Target> from;
    std::optional<Target> to;
    for (int i = 0; i < 2 && !a.in.done(); ++i) {
        if (a.in.take({"from"}))
            from = a.in.target();
        else if (a.in.take({"through to", "as far as", "over to", "to"}))
            to = a.in.target();
    }
    a.end();
    if (!to)
        a.in.failAhead("to what?", "say it like: is there a way from door 1 to sofa?");
    const auto way = wayBetween(FloorView(*a.scene), *a.job.library.book, from, *to);
    if (!way)
        a.in.fail(start, a.in.at() - start, "no way begins or ends there",
                  "name a door, a window, a seat, a bed or what opens");
    const auto say = [&](const Target& t) { return spoken(t, a.wording()); };
    const auto what = worded("from {} to {}", say(way->from), say(way->to));
    Answer out;
    if (to->is == Is::piece)
        out.about = {to->piece};
    if (!way->width) {
        out.words = worded("Yes, {}: it is wide all the way", what);
        return out;
    }
    const auto between = worded("between {} and {}", say(way->narrowBy), say(way->beside));
    const auto width = writeGap(*way->width, a.job.notation);
    // Turned sideways a body takes about as much (common practice).
    const Length squeezed =
        isMetric(a.job.notation.units) ? Length::centimetres(30) : Length::inches(12);
    const Rule* rule = a.job.library.book->byId("walkway-minor");
    const double wanted = rule != nullptr ? a.job.judgement.bandOf(*rule).low.value_or(0) : 0.0;
    if (way->isShut())
        out.words = worded("No, {}: it is shut {}", what, between);
    else if (*way->width < squeezed)
        out.words = worded("No, {}: {} is all there is {}, and {} is squeezed through (assumed)",
                           what, width, between, writeGap(squeezed, a.job.notation));
    else
        out.words = worded("Yes, {}: {} at its narrowest, {}", what, width, between);
    if (way->width->mm() < wanted)
        out.words +=
            worded("; {} is wanted", writeGap(Length::millimetres(wanted), a.job.notation));
    return out;
}

/// "how many windows are there?", "how many chairs have I got?"
std::optional<Answer> howManyThings(Asking& a) {
    for (const auto& [many, kind] :
         {std::pair{"windows", OpeningKind::window}, std::pair{"doors", OpeningKind::door},
          std::pair{"openings", OpeningKind::opening}})
        if (a.in.take({many})) {
            ofTheRoom(a);
            a.end();
            std::vector<std::string> names;
            for (const Opening& o : a.job.room->openings)
                if (o.kind == kind)
                    names.push_back(worded("{} on wall {}", o.name(), wallName(o.wall)));
            return Answer{names.empty() ? worded("There are no {}", told(many))
                                        : worded("{}: {}", names.size(), listed(names, "and"))};
        }
    // What is built in, by its wall.
    // texts
    static const std::vector<std::pair<const char*, FixtureKind>> built{
        {"outlets", FixtureKind::outlet},       {"sockets", FixtureKind::outlet},
        {"plugs", FixtureKind::outlet},         {"power points", FixtureKind::outlet},
        {"switches", FixtureKind::lightSwitch}, {"light switches", FixtureKind::lightSwitch},
        {"radiators", FixtureKind::radiator},   {"vents", FixtureKind::vent},
        {"columns", FixtureKind::column},       {"fireplaces", FixtureKind::fireplace}};
    // end of texts
    for (const auto& [many, kind] : built)
        if (a.in.take({many})) {
            ofTheRoom(a);
            a.end();
            std::vector<std::pair<int, int>> walls; // which, and how many
            for (const Fixture& x : a.job.room->fixtures) {
                if (x.kind != kind)
                    continue;
                const auto same = std::find_if(walls.begin(), walls.end(),
                                               [&](const auto& w) { return w.first == x.wall; });
                if (same == walls.end())
                    walls.emplace_back(x.wall, 1);
                else
                    ++same->second;
            }
            int all = 0;
            std::vector<std::string> parts;
            for (const auto& [wall, count] : walls) {
                all += count;
                parts.push_back(wall >= 0 ? worded("{} on wall {}", count, wallName(wall))
                                          : worded("{} in the room", count));
            }
            return Answer{parts.empty() ? worded("No {} were taped", told(many))
                                        : worded("{}: {}", all, listed(parts, "and"))};
        }
    if (a.in.take({"walls"})) {
        ofTheRoom(a);
        a.end();
        return Answer{worded("{} walls", a.job.room->walls.size())};
    }
    const bool any = a.in.take({"pieces of furniture", "pieces", "things", "items"});
    std::string word;
    if (!any) {
        word = plainWord(a.in.word());
        // "dining chairs", up to what it is asked of.
        while (!a.in.done()) {
            const std::size_t at = a.in.at();
            if (a.in.take({"are", "is", "do", "does", "have", "has", "in"})) {
                a.in.goTo(at);
                break;
            }
            word += " " + plainWord(a.in.word());
        }
    }
    ofTheRoom(a);
    a.end();
    if (word.ends_with("s"))
        word.pop_back();
    Answer out;
    std::vector<std::string> names;
    for (const Piece& p : a.job.scheme().pieces) {
        const auto is = [&](std::string_view name) {
            const auto plain = plainWord(name);
            return plain == word || plain.ends_with(" " + word);
        };
        if (word == "light" && p.kind->light != nullptr) {
            names.push_back(p.name);
            out.about.push_back(p.id);
            continue;
        }
        if (p.isGroup() || (!any && !is(p.kind->name) && !is(p.name) &&
                            std::none_of(p.kind->also.begin(), p.kind->also.end(), is)))
            continue;
        names.push_back(p.name);
        out.about.push_back(p.id);
    }
    if (names.empty() && !any) {
        if (word == "light" || a.job.library.kit->byWord(word))
            return Answer{worded("There are none: no {}", word)};
        return {};
    }
    constexpr std::size_t shown = 8;
    const std::size_t count = names.size();
    if (count > shown) {
        names.resize(shown);
        names.push_back(worded("{} more", count - shown));
    }
    out.words = count == 0 ? worded("There are no {}", told("pieces"))
                           : worded("{}: {}", count, listed(names, "and"));
    return out;
}

/// "how much room is behind the chairs?", of those at tables: from the table's edge, where each is
/// drawn back, to what comes first there.
std::optional<Answer> behindChairs(Asking& a) {
    a.in.take({"is", "are", "is there", "do i have", "do we have"});
    a.in.take({"there", "left", "free"});
    if (!a.in.take({"behind", "at the back of"}))
        return {};
    a.in.article();
    a.in.take({"dining", "supper"});
    if (!a.in.take({"chairs", "seats"}))
        return {};
    a.in.take({"at the table", "when they are pulled out", "when they are drawn back"});
    a.end();
    const FloorView floor(*a.scene);
    struct Room {
        const Piece* chair = nullptr;
        SideAhead ahead;
        double away = 0; // mm, from the table's edge
    };
    std::optional<Room> least;
    int count = 0;
    for (const Piece& p : a.job.scheme().pieces) {
        const Tie* at = tieToTable(p, a.job.scheme());
        const Placed* chair = a.scene->fromAbove(p.id);
        const Placed* table = at != nullptr ? a.scene->fromAbove(at->of.piece) : nullptr;
        if (at == nullptr || at->kind != Tie::Kind::atPlace || chair == nullptr || table == nullptr)
            continue;
        ++count;
        Room one{&p, aheadOf(floor, p, *chair, Side::behind), 0};
        if (!one.ahead.stop)
            continue;
        // Tucked in, a part of the chair is under the table.
        const double out = dot(one.ahead.lane.from, one.ahead.lane.along) -
                           extent(table->shape, one.ahead.lane.along);
        one.away = one.ahead.stop->ahead + std::max(out, 0.0);
        if (!least || one.away < least->away)
            least = one;
    }
    if (count == 0)
        return Answer{worded("No chair stands at a table yet")};
    if (!least)
        return Answer{worded("Nothing stands behind the chairs: the room is open there")};
    const auto gap = [&](double mm) { return writeGap(Length::millimetres(mm), a.job.notation); };
    const auto& book = *a.job.library.book;
    Answer out;
    out.about = {least->chair->id};
    out.words =
        count == 1
            ? worded("{} from the table's edge to {}, behind {}", gap(least->away),
                     spoken(least->ahead.stop->what, a.wording()), least->chair->name)
            : worded("{} from the table's edge to {}, behind {}, the least of {}", gap(least->away),
                     spoken(least->ahead.stop->what, a.wording()), least->chair->name, count);
    if (const Rule* r = book.byId("chair-pull-out"))
        out.words +=
            worded("; {} lets someone sit down, and {} is the least to draw a chair",
                   gap(a.job.judgement.bandOf(*r).low.value_or(0)), gap(r->setting("draw").mm()));
    if (const Rule* r = book.byId("walkway-main"))
        out.words += worded("; {} where people also pass behind who sits there",
                            gap(r->setting("from the table in use").mm()));
    const auto& lane = least->ahead.lane;
    out.marks.push_back({theFloor(), lane.from, lane.from + lane.along * least->ahead.stop->ahead,
                         gap(least->away)});
    return out;
}

/// "how much floor is free?": what furniture leaves of it, rugs aside.
std::optional<Answer> freeFloor(Asking& a) {
    a.in.take({"space", "area"});
    a.in.take({"is there", "is", "have i", "do i have", "do we have"});
    if (!a.in.take({"free", "left", "left over", "empty", "open", "clear", "covered", "used"}) &&
        !a.in.done())
        return {};
    a.in.take({"in the room", "in here", "in this room", "here"});
    a.end();
    if (!a.job.room->closed)
        a.in.failAhead("the room is not closed, so it has no area", "tape the walls all round");
    const double floor = factsOf(*a.job.room).floorArea;
    const double taken = floorTaken(a.job.scheme());
    const auto units = a.job.notation.units;
    Answer out;
    out.words = worded("Furniture takes {} of {}, {}: {} is free", writeArea(taken, units),
                       writeArea(floor, units),
                       words(Amount::ratio(floor > 0 ? taken / floor : 0), a.job.notation),
                       writeArea(floor - taken, units));
    if (const Rule* r = a.job.library.book->byId("scale"))
        if (const auto most = r->settings.find("of the floor"); most != r->settings.end())
            out.words += worded("; {} is about the most",
                                words(Amount::ratio(r->number("of the floor")), a.job.notation));
    return out;
}

/// "is the room balanced?": what the quarters of the plan hold, as the eye weighs it.
std::optional<Answer> isBalanced(Asking& a) {
    a.in.take({"room", "layout", "plan", "furniture", "arrangement", "it", "this", "everything"});
    if (!a.in.take({"balanced", "in balance", "well balanced", "lopsided", "even", "evenly spread",
                    "evenly balanced", "one sided", "one-sided"}))
        return {};
    a.end();
    const auto shares = balanceOf(FloorView(*a.scene)).weight;
    const auto part = [&](std::size_t q) { return static_cast<int>(std::lround(shares[q] * 100)); };
    if (part(0) + part(1) + part(2) + part(3) == 0)
        return Answer{worded("Nothing stands on the floor yet")};
    return Answer{
        worded("Of the weight to the eye {} % stands in the upper left quarter of the plan, "
               "{} % upper right, {} % lower right and {} % lower left",
               part(0), part(1), part(2), part(3))};
}

/// "how high is the mantel?": tape notes have the fire and the breast, and no shelf.
std::optional<Answer> howHighMantel(Asking& a) {
    a.in.take({"piece", "shelf"});
    a.end();
    for (const Fixture& f : a.job.room->fixtures)
        if (f.isBreast())
            return Answer{worded("How high its shelf is, nobody taped: {} is {} wide and {} deep",
                                 f.name(), write(f.width, a.job.notation),
                                 write(f.depth, a.job.notation))};
    return {};
}

/// "how many people can sleep here?": two in a bed for two, by its width.
std::optional<Answer> howManySleep(Asking& a) {
    a.in.take({"here", "in here", "in this room", "in the room"});
    a.end();
    const Length forTwo = Length::centimetres(130);
    int count = 0;
    Answer out;
    for (const Piece& p : a.job.scheme().pieces) {
        if (p.kind->role != Role::bed)
            continue;
        out.about.push_back(p.id);
        count += p.kind->id == "bunk-bed" || p.size.width >= forTwo ? 2 : 1;
    }
    out.words = count == 0   ? worded("There is no bed to sleep in yet")
                : count == 1 ? worded("One person can sleep here")
                             : worded("{} people can sleep here", count);
    return out;
}

/// "what is still to measure?"
std::optional<Answer> whatIsUnmeasured(Asking& a) {
    a.end();
    const auto all = stillToMeasure(FloorView(*a.scene));
    if (all.empty())
        return Answer{worded("Nothing is missing in the tape notes for what stands here")};
    constexpr std::size_t most = 4;
    std::vector<std::string> parts;
    for (std::size_t i = 0; i < std::min(most, all.size()); ++i)
        parts.emplace_back(told(all[i].what));
    auto words = capital(fmt::format("{}", fmt::join(parts, "; ")));
    if (all.size() > most)
        words += worded(", and {} more", all.size() - most);
    return Answer{std::move(words)};
}

} // namespace

const std::vector<Question>& roomQuestions() {
    static const std::vector<Question> all{
        {{"how much room", "how much space", "how much clearance"},
         &behindChairs,
         "the room to draw chairs back, where it is least",
         "how much room is behind the chairs?"},
        {{"what is the area", "what's the area", "what is the floor area", "what's the floor area",
          "how many square metres", "how many square meters", "how many square feet", "how many m2",
          "how many m²", "how many sq m", "how many sqm", "how many sq ft", "how many sqft",
          "what is the square footage", "what's the square footage", "what area has",
          "how much floor area"},
         &whatArea,
         "the area of the floor, of the walls, of one wall or the ceiling",
         "what is the area of the room?; what is the area of wall A?"},
        {{"what is the longest", "what's the longest", "which is the longest",
          "which wall is the longest", "which wall is longest"},
         [](Asking& a) { return whichIsLongest(a, true); },
         "the longest or the shortest wall",
         "which wall is longest?"},
        {{"what is the shortest", "what's the shortest", "which is the shortest",
          "which wall is the shortest", "which wall is shortest"},
         [](Asking& a) { return whichIsLongest(a, false); },
         "",
         ""},
        {{"how wide is the alcove", "how deep is the alcove", "how big is the alcove",
          "how wide is the bay", "how deep is the bay", "how big is the bay", "how wide is the bow",
          "how deep is the bow", "how big is the bow", "how wide are the alcoves",
          "how big are the alcoves", "how deep are the alcoves"},
         &howBigRecess,
         "the width and depth of an alcove, a bay or a bow",
         "how wide is the alcove?"},
        {{"how high is the sill", "how high is the window sill", "how high is the windowsill",
          "how high are the sills", "how high are the window sills", "what is the sill height",
          "what height is the sill", "how high are the windowsills"},
         &howHighSill,
         "how high windows begin",
         "how high is the sill of window 1?"},
        {{"is there a way", "is there a clear way", "is there a clear path", "is there a path",
          "is there a clear route", "is there a route", "is the way clear", "is the path clear",
          "how wide is the way", "how wide is the path", "how wide is the route"},
         &isThereAWay,
         "the widest way between two places, or from the best door, and where it is narrowest",
         "is there a way from door 1 to sofa?"},
        {{"is the", "is", "is this"},
         &isBalanced,
         "how furniture is spread over the room, as the eye weighs it",
         "is the room balanced?"},
        {{"how much floor", "how much of the floor"},
         &freeFloor,
         "what furniture leaves of the floor",
         "how much floor is free?"},
        {{"how high is the mantel", "how high is the mantelpiece", "how high is the mantelshelf",
          "how tall is the mantel", "what height is the mantel", "what is the mantel height"},
         &howHighMantel,
         "",
         ""},
        {{"how many people can sleep", "how many people sleep", "how many can sleep",
          "how many sleep", "how many guests can sleep"},
         &howManySleep,
         "",
         ""},
        {{"what is still to measure", "what is not measured", "what isn't measured",
          "what is unmeasured", "what is left to measure", "what has to be measured",
          "what must be measured", "what needs measuring", "what needs to be measured"},
         &whatIsUnmeasured,
         "what the tape notes lack for what stands in the room",
         "what is still to measure?"},
        {{"how many"},
         &howManyFit,
         "how many of a kind stand side by side along a wall, or sit at a counter",
         "how many bookcases fit on wall A?"},
        {{"how many"},
         &howManyThings,
         "how many there are of a thing, of windows or of doors",
         "how many windows are there?"},
    };
    return all;
}

} // namespace mezzet
