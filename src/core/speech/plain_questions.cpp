// Questions about what is known of a thing: its colour, its cost, its weight, what stands on it;
// and why something can't be done.
#include "colour/colour.h"
#include "edit/beside_wall.h"
#include "edit/line.h"
#include "edit/subjects.h"
#include "fits/fits.h"
#include "geometry/gap.h"
#include "geometry/stretches.h"
#include "handover/list.h"
#include "handover/materials.h"
#include "hang/hooks.h"
#include "judge/remedy.h"
#include "judge/say.h"
#include "measure/text.h"
#include "measure/texts.h"
#include "room/facts.h"
#include "scheme/on_wall.h"
#include "scheme/spoken.h"
#include "scheme/words.h"
#include "speech/asked_of.h"
#include "speech/meant_words.h"
#include "speech/questions.h"

#include <algorithm>
#include <cmath>
#include <numbers>

namespace mezzet {

namespace {

/// "what colour is the rug?"
std::optional<Answer> whatColour(Asking& a) {
    a.in.take({"is", "are", "has", "have"});
    if (const std::size_t at = a.in.at(); !a.in.nameAhead()) {
        // "wall B", "the wall behind the bed", "the walls", "the floor"
        const Dressing& said = a.job.scheme().dressing;
        a.in.article();
        std::optional<Rgb> colour;
        std::string what;
        if (a.in.take({"walls"})) {
            colour = said.walls;
            what = told("the walls");
        } else if (a.in.take({"floor"})) {
            colour = said.floor;
            what = told("the floor");
        } else if (a.in.take({"ceiling"})) {
            colour = said.ceiling;
            what = told("the ceiling");
        } else if (a.in.endOf("wall") > 0) {
            if (const Target t = a.in.target(false); t.is == Target::Is::wall) {
                colour = said.colourOf(t.index);
                what = spoken(t, a.wording());
            }
        }
        if (!what.empty()) {
            a.end();
            return Answer{colour ? worded("{} is {} ({})", capital(what),
                                          mezzet::told(colourWord(*colour)), hexOf(*colour))
                                 : worded("No colour is told of {}", what)};
        }
        a.in.goTo(at);
    }
    const int id = a.piece();
    a.in.take({"in"});
    a.end();
    const Piece& p = *a.scene->pieceById(id);
    Answer out;
    out.about = {id};
    if (!p.thing || !p.thing->colour) {
        out.words =
            worded("No colour is told of {}; say one like “colour {} navy”", p.name, p.name);
        return out;
    }
    std::vector<std::string> all;
    for (const auto& c : {p.thing->colour, p.thing->colour2})
        if (c)
            all.push_back(worded("{} ({})", mezzet::told(colourWord(*c)), hexOf(*c)));
    out.words = worded("{} is {}", p.name, listed(all));
    return out;
}

/// "what does the sofa cost?", "how much is the sofa?", "how much does everything cost?"
std::optional<Answer> whatCosts(Asking& a) {
    a.in.take({"is", "does", "do", "are", "did", "will", "has"});
    const std::size_t here = a.in.at();
    a.in.article();
    Answer out;
    if (a.in.take({"everything", "it all", "all of it", "all this", "this all", "this scheme",
                   "scheme", "whole room", "room", "job", "total", "budget", "i spent",
                   "we spent"})) {
        a.in.take({"cost", "costs", "come to", "cost me", "cost us", "so far", "spent", "left"});
        a.in.take({"so far", "in all", "altogether", "all together"});
        a.end();
        const auto totals = totalsOf(jobList(a.job));
        out.words = totals.all > 0 ? worded("{} in all", moneyText(totals.all))
                                   : std::string(mezzet::told("No price is told of anything yet"));
        if (totals.all > 0 && totals.unpriced > 0)
            out.words += worded("; {} have no price yet", totals.unpriced);
        if (const auto budget = handedOver(a.job).budget)
            out.words +=
                *budget >= totals.all
                    ? worded("; {} of the budget is left", moneyText(*budget - totals.all))
                    : worded("; that is {} over the budget", moneyText(totals.all - *budget));
        return out;
    }
    a.in.goTo(here);
    const int id = a.piece();
    a.in.take({"cost", "costs", "cost me"});
    if (a.in.take({"weigh", "weight", "heavy"}) || !a.in.done())
        return {};
    const Piece& p = *a.scene->pieceById(id);
    out.about = {id};
    out.words = p.cost
                    ? worded("{} costs {}", p.name, moneyText(*p.cost))
                    : worded("No price is told of {}; say one like “{} costs 400”", p.name, p.name);
    return out;
}

/// "how heavy is the mirror?"
std::optional<Answer> howHeavy(Asking& a) {
    a.in.take({"is", "are", "does", "do"});
    Answer out;
    if (const std::size_t at = a.in.at();
        a.in.take({"everything", "it all", "all of it", "the furniture"})) {
        if (!a.in.take({"weigh", "together", "in all"}) && !a.in.done()) {
            a.in.goTo(at);
            return {};
        }
        a.end();
        Mass all;
        int hung = 0;
        for (const Piece& p : a.job.scheme().pieces)
            if (p.kind->hangs() && !p.isGroup()) {
                all = all + weightOf(p);
                ++hung;
            }
        out.words = hung == 0 ? std::string(told("No weight is kept of what stands"))
                              : worded("About {} hangs on the walls, in {} pieces; no weight is "
                                       "kept of what stands",
                                       write(all, a.job.notation), hung);
        return out;
    }
    const int id = a.piece();
    a.in.take({"weigh"});
    a.end();
    const Piece& p = *a.scene->pieceById(id);
    out.about = {id};
    if (!p.kind->hangs()) {
        out.words = worded("No weight is kept of {}, which stands", p.name);
        return out;
    }
    bool guessed = false;
    const auto weight = write(weightOf(p, &guessed), a.job.notation);
    out.words = guessed ? worded("About {}, by its size: no weight is told of {}", weight, p.name)
                        : worded("{} weighs {}", p.name, weight);
    return out;
}

/// "what is on wall A?": what hangs there and stands against it, from its left.
std::optional<Answer> whatIsOnWall(Asking& a) {
    const auto wall = takeWall(a.in);
    if (!wall)
        return {};
    a.end();
    const Wall& w = a.job.room->walls[static_cast<std::size_t>(*wall)];
    std::vector<std::pair<double, const Piece*>> there;
    for (const Piece& p : a.job.scheme().pieces)
        if (p.group() == 0 && !p.kind->flat() && isAtWall(p, *wall, *a.scene))
            if (const auto at = planMiddle(pieceTarget(p.id), *a.scene))
                there.emplace_back(dot(*at - w.start, w.along()), &p);
    std::stable_sort(there.begin(), there.end(),
                     [](const auto& x, const auto& y) { return x.first < y.first; });
    Answer out;
    std::vector<std::string> names;
    for (const auto& [along, p] : there) {
        names.push_back(p->name);
        out.about.push_back(p->id);
    }
    out.words = names.empty() ? worded("Nothing is on wall {}", w.name)
                              : worded("On wall {}, from its left: {}", w.name, listed(names));
    return out;
}

/// "what is on the console?"
std::optional<Answer> whatIsOn(Asking& a) {
    if (auto wall = whatIsOnWall(a))
        return wall;
    const int id = a.piece();
    a.end();
    const Piece& board = *a.scene->pieceById(id);
    Answer out;
    std::vector<std::string> names;
    for (const Piece& p : a.job.scheme().pieces)
        if ((p.on.isCarried() && p.on.piece == id) ||
            (p.hanging.mount == Mount::leaned &&
             std::any_of(p.ties.begin(), p.ties.end(), [&](const Tie& t) {
                 return t.kind == Tie::Kind::above && t.refersTo(id);
             }))) {
            names.push_back(p.name);
            out.about.push_back(p.id);
        }
    out.words = names.empty() ? worded("Nothing is on {}", board.name)
                              : worded("On {}: {}", board.name, listed(names));
    if (names.empty())
        out.about = {id};
    return out;
}

/// "how much paint do I need?": for the walls and the ceiling, or one of them, whatever their
/// colour.
std::optional<Answer> howMuchPaint(Asking& a) {
    a.in.take({"do i need", "do we need", "does it take", "is needed", "will i need",
               "should i buy", "would i need"});
    a.in.take({"to do", "to paint", "for", "on"});
    const bool ceilingAlone = a.in.take({"the ceiling", "ceiling"});
    if (!ceilingAlone)
        a.in.take({"the walls", "walls", "the whole room", "the room", "room", "this room"});
    std::optional<Target> one;
    if (!ceilingAlone && !a.in.done())
        one = a.in.target(false);
    if (one && one->is != Target::Is::wall)
        return {};
    a.end();
    const RoomFacts facts = factsOf(*a.job.room);
    const auto units = a.job.notation.units;
    const auto walls = paintFor(facts.netWallArea(), units);
    const auto ceiling = paintFor(facts.ceilingArea, units);
    Answer out;
    if (const double area = one            ? netAreaOf(*a.job.room, one->index)
                            : ceilingAlone ? facts.ceilingArea
                                           : 0;
        area > 0) {
        const auto paint = paintFor(area, units);
        out.words = worded(
            "{}: {}, two coats on {}. That is at {} to one (assumed): by what the "
            "tin says it covers it may be more or less",
            one ? worded("Wall {}", a.job.room->walls[static_cast<std::size_t>(one->index)].name)
                : std::string(mezzet::told("Ceiling")),
            paint.amount, writeArea(area, units), paint.goesFor);
        return out;
    }
    if (facts.netWallArea() <= 0 || facts.ceilingArea <= 0)
        out.words =
            mezzet::told("The room's walls are not all measured, so their area isn't known");
    else
        out.words =
            worded("Walls: {}, two coats on {}. Ceiling: {}, two coats on {}. That is at {} to one "
                   "(assumed): by what the tin says it covers it may be more or less",
                   walls.amount, writeArea(facts.netWallArea(), units), ceiling.amount,
                   writeArea(facts.ceilingArea, units), walls.goesFor);
    return out;
}

/// "how much curtain fabric do I need?": of all curtains, or those that are named: widths of cloth
/// at twice the rail, each cut with a hem and a heading (common practice; from memory).
std::optional<Answer> howMuchFabric(Asking& a) {
    a.in.take({"do i need", "do we need", "does it take", "is needed", "will i need",
               "should i buy", "should i order", "would i need", "to buy", "to order"});
    std::vector<const Piece*> all;
    if (a.in.take({"for"})) {
        a.in.take({"all"});
        const std::size_t at = a.in.at();
        a.in.article();
        if (!a.in.take({"curtains", "drapes", "windows", "window"})) {
            a.in.goTo(at);
            all.push_back(a.job.scheme().byId(a.piece()));
        }
    }
    a.end();
    if (all.empty())
        for (const Piece& p : a.job.scheme().pieces)
            if (p.kind->role == Role::curtain && p.size.width > Length{})
                all.push_back(&p);
    if (all.empty())
        return Answer{worded("There are no curtains yet to cut cloth for")};
    const bool metric = isMetric(a.job.notation.units);
    const Length cloth = metric ? Length::centimetres(140) : Length::inches(54);
    const Length hems = metric ? Length::centimetres(30) : Length::inches(12);
    constexpr double full = 2; // the cloth over the rail
    Answer out;
    Length sum;
    for (const Piece* p : all) {
        if (p->kind->role != Role::curtain)
            return {};
        const auto widths = static_cast<int>(std::ceil(p->size.width.mm() * full / cloth.mm()));
        const Length cut = p->size.height + hems;
        sum = sum + cut * widths;
        out.words +=
            worded("{}{}: {} widths of {}, each cut {} long", out.words.empty() ? "" : "; ",
                   p->name, widths, writeGap(cloth, a.job.notation), writeGap(cut, a.job.notation));
        out.about.push_back(p->id);
    }
    constexpr double yard = 914.4; // mm
    const double amount = metric ? std::ceil(sum.mm() / 100) / 10
                                 : std::ceil(sum.mm() / yard * 4) / 4; // to a quarter
    out.words += metric ? worded(". That is {:g} m of cloth", amount)
                        : worded(". That is {:g} yards of cloth", amount);
    out.words += worded(". Assumed: twice as full as the rail, {} for hem and heading, and cloth "
                        "{} wide; a pattern that repeats wants more",
                        writeGap(hems, a.job.notation), writeGap(cloth, a.job.notation));
    return out;
}

/// "how much carpet do I need?": the floor, with a tenth for cutting (common practice).
std::optional<Answer> howMuchFloor(Asking& a) {
    a.in.take({"do i need", "do we need", "does it take", "is needed", "will i need",
               "should i buy", "should i order", "would i need", "to order"});
    a.in.take({"for the whole room", "for the room", "for this room", "for the floor"});
    a.end();
    const double area = factsOf(*a.job.room).floorArea;
    const auto units = a.job.notation.units;
    constexpr double cutting = 1.1;
    if (area <= 0)
        return Answer{worded("The room's walls are not all measured, so its floor isn't known")};
    return Answer{worded("The floor is {}; with a tenth more for cutting (assumed) {}. Whoever "
                         "lays it measures first",
                         writeArea(area, units), writeArea(area * cutting, units))};
}

/// How deep what stands at a wall is taken to be where it is not said; assumed, and said.
double assumedDeep(const Asking& a) {
    return isMetric(a.job.notation.units) ? 600 : Length::inches(24).mm();
}

/// "how much wall is free on wall C?": the stretches of it where what is usually as deep as a chest
/// can stand.
std::optional<Answer> freeWall(Asking& a) {
    a.in.article();
    const Target t = a.in.target(false);
    if (t.is != Target::Is::wall)
        return {};
    a.end();
    const Wall& w = a.job.room->walls[static_cast<std::size_t>(t.index)];
    const auto size = [&](double l) { return writeGap(Length::millimetres(l), a.job.notation); };
    // What keeps more than this off the wall leaves it free.
    const double deep = assumedDeep(a);
    std::vector<std::string> parts;
    Answer out;
    double whole = 0;
    for (const auto& [from, to] : freeAlong(*a.scene, t.index, deep)) {
        constexpr double least = 50;
        if (to - from < least)
            continue;
        const auto figure = size(to - from);
        parts.push_back(worded("{} from {}", figure, size(from)));
        out.marks.push_back(
            {theFloor(), w.start + w.along() * from, w.start + w.along() * to, figure});
        whole += to - from;
    }
    out.words = parts.empty() ? worded("Wall {} has nothing before it left free", w.name)
                              : worded("Wall {} has {} free: {} from its left end", w.name,
                                       size(whole), listed(parts));
    out.words += worded("; for what is up to {} deep (assumed)", size(deep));
    return out;
}

/// "which wall is free?": the longest stretch of each that nothing stands before, the longest
/// first.
std::optional<Answer> whichWallIsFree(Asking& a) {
    a.in.take({"here", "in here", "in this room", "for furniture"});
    a.end();
    const double deep = assumedDeep(a);
    const auto size = [&](double l) { return writeGap(Length::millimetres(l), a.job.notation); };
    std::vector<std::pair<double, std::string>> walls;
    for (std::size_t i = 0; i < a.job.room->walls.size(); ++i) {
        const auto [from, to] = widestOf(freeAlong(*a.scene, static_cast<int>(i), deep));
        walls.emplace_back(to - from, a.job.room->walls[i].name);
    }
    std::stable_sort(walls.begin(), walls.end(),
                     [](const auto& x, const auto& y) { return x.first > y.first; });
    std::vector<std::string> parts;
    for (const auto& [longest, name] : walls)
        parts.push_back(worded("{} of wall {}", size(longest), name));
    return Answer{worded("Free in one stretch: {}; for what is up to {} deep (assumed)",
                         listed(parts, "and"), size(deep))};
}

/// "what is in the room?"
std::optional<Answer> whatIsHere(Asking& a) {
    a.in.take({"is", "there is", "i have", "we have", "of it", "of them"});
    a.in.article();
    a.in.take({"furniture", "pieces", "things"});
    a.in.take({"in the", "in"});
    if (!a.in.take({"room", "here", "there", "this room", "this scheme", "scheme", "it"}) &&
        !a.in.done())
        return {};
    a.end();
    std::vector<std::string> names;
    constexpr std::size_t most = 24;
    std::size_t more = 0;
    for (const Piece& p : a.job.scheme().pieces) {
        if (p.isGroup())
            continue;
        if (names.size() < most)
            names.push_back(p.name);
        else
            ++more;
    }
    Answer out;
    if (names.empty())
        out.words = mezzet::told("Nothing is in the room yet");
    else
        out.words = more > 0
                        ? worded("{}, and {} more", fmt::format("{}", fmt::join(names, ", ")), more)
                        : listed(names);
    return out;
}

/// "what can be said?": a few lines that do here.
std::optional<Answer> whatCanBeSaid(Asking& a) {
    a.end();
    std::vector<std::string> lines;
    for (auto& line : openings(a.job, listening(a.selected)))
        lines.push_back(worded("“{}”", line));
    return Answer{
        worded("A thing and where it goes, what is done to it, or a question: {}. F1 tells "
               "them all",
               listed(lines, "or"))};
}

/// "why can't I put the sofa on wall B?": what that would meet.
std::optional<Answer> whyNot(Asking& a) {
    a.in.take({"just"});
    const std::string line(trimmed(a.in.rest()));
    if (line.empty())
        a.in.failAhead("what is to be done?", "say it like: why can't I put sofa on wall B?");
    a.in.goTo(a.in.at() + a.in.rest().size());
    auto said = readSpoken(line, a.job, listening(a.selected));
    Answer out;
    if (!said) {
        const Problem& p = said.problem();
        out.words =
            asksFirst(p)
                ? worded("It would do this: {}. Put “anyway” at the end to do it all the same",
                         p.what)
                : worded("{}: {}", p.what, p.remedy);
        return out;
    }
    if (said->is == Spoken::Is::answer)
        return said->answer;
    out.about = said->said.them;
    out.words = worded("You can: {}", said->said.preview);
    return out;
}

} // namespace

const std::vector<Question>& plainQuestions() {
    static const std::vector<Question> all{
        {{"what colour is", "what color is", "what colour are", "what color are",
          "what colour has"},
         &whatColour,
         "the colour that is told of a piece",
         "what colour is sofa?"},
        {{"what does", "what do", "how much does", "how much do", "how much is", "how much are",
          "how much will", "how much have", "what is the cost of", "what is the price of",
          "what's the price of", "what did", "what will"},
         &whatCosts,
         "what a piece costs, or all, and what is left of the budget",
         "how much does sofa cost?; how much is everything?"},
        {{"how heavy", "what does", "how much does", "what is the weight of"},
         &howHeavy,
         "what a hung thing weighs, or what its size makes likely",
         "how heavy is mirror?"},
        {{"what is on", "what's on", "what stands on", "what is standing on", "whats on"},
         &whatIsOn,
         "what stands on a piece, or hangs on a wall and stands against it",
         "what is on console?; what is on wall A?"},
        {{"how much wall is free on", "how much is free on", "how much room is free on"},
         &freeWall,
         "the stretches of a wall that nothing stands before",
         "how much wall is free on wall A?"},
        {{"which wall is free", "which walls are free", "what wall is free", "which wall is empty",
          "which wall is the longest free", "which wall has room", "where is there free wall"},
         &whichWallIsFree,
         "the longest free stretch of each wall",
         "which wall is free?"},
        {{"how much paint", "how many litres of paint", "how many liters of paint",
          "how many gallons of paint", "how many tins of paint", "how many cans of paint"},
         &howMuchPaint,
         "paint for the walls and the ceiling, by their area",
         "how much paint do I need?"},
        {{"how much curtain fabric", "how much curtain material", "how much fabric",
          "how much material", "how much cloth", "how many yards of fabric",
          "how many metres of fabric", "how many meters of fabric",
          "how many yards of curtain fabric", "how many metres of curtain fabric"},
         &howMuchFabric,
         "cloth for the curtains, in widths",
         "how much curtain fabric do I need?"},
        {{"how much carpet", "how much flooring", "how much floor covering", "how many square feet",
          "how many square metres", "how many square meters", "how much wood floor",
          "how much tile", "how much vinyl", "how much lino", "how much laminate",
          "how much parquet"},
         &howMuchFloor,
         "the floor a carpet or boards are for, with what cutting takes",
         "how much carpet do I need?"},
        {{"what is in", "what's in", "whats in", "what have i got", "what have we got", "what is",
          "list everything", "list all", "list the furniture", "list the pieces", "list the room",
          "list what"},
         &whatIsHere,
         "what is in the room",
         "what is in the room?; list everything"},
        {{"what can be said", "what can i say", "help"},
         &whatCanBeSaid,
         "a few lines that do here",
         "what can be said?"},
        {{"why can't i", "why cant i", "why can't we", "why can not i", "why cannot i",
          "why can i not", "why couldn't i", "why won't it let me", "why can't you",
          "why won't you", "why did you not", "why didn't you"},
         &whyNot,
         "what would hinder it, where something can't be said or done",
         "why can't I put sofa on wall B?"},
    };
    return all;
}

} // namespace mezzet
