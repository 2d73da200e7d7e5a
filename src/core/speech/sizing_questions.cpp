// How large a thing should be, how high, how far from another: by the rule book's bands and what is
// there to measure, for things that are not in the room yet as for those that are.
#include "edit/arrange.h"
#include "edit/beside_wall.h"
#include "edit/words_reader.h"
#include "fits/fits.h"
#include "measure/text.h"
#include "measure/texts.h"
#include "room/facts.h"
#include "scheme/on_wall.h"
#include "scheme/spoken.h"
#include "scheme/words.h"
#include "speech/asked_of.h"

#include <algorithm>
#include <cmath>

namespace mezzet {

namespace {

/// What is asked for of a thing.
enum class Asks { size, width, length, height, depth, any };

/// A piece by what it is to the rules: the largest of them where there are several.
template <class Is> const Piece* largest(const Asking& a, Is is) {
    const Piece* best = nullptr;
    for (const Piece& p : a.job.scheme().pieces)
        if (is(p) && (best == nullptr || p.size.width > best->size.width))
            best = &p;
    return best;
}
const Piece* ofRole(const Asking& a, Role role) {
    return largest(a, [role](const Piece& p) { return p.kind->role == role; });
}

/// What a rule's ratio comes to of a length: "48" to 60" long, 60 % to 75 % of Sofa".
std::string shareOf(const Asking& a, const Band& b, Length of, const std::string& name) {
    return worded("{}, {} to {} of {}", rangeSaid(a, *b.low * of.mm(), *b.high * of.mm()),
                  words(Amount::ratio(*b.low), a.job.notation),
                  words(Amount::ratio(*b.high), a.job.notation), name);
}

Answer coffeeTable(Asking& a, Asks what) {
    Answer out;
    const Piece* sofa = ofRole(a, Role::sofa);
    const Band level = bandOf(a, "table-level");
    if (what != Asks::height) {
        const Band share = bandOf(a, "table-to-sofa");
        out.words = sofa != nullptr
                        ? worded("Its length {}", shareOf(a, share, sofa->size.width, sofa->name))
                        : worded("Its length {} to {} of the sofa's",
                                 words(Amount::ratio(*share.low), a.job.notation),
                                 words(Amount::ratio(*share.high), a.job.notation));
    }
    const double cushion = sofa != nullptr && sofa->heights.seat ? sofa->heights.seat->mm() : 0;
    if (!out.words.empty())
        out.words += "; ";
    if (cushion > 0)
        out.words += worded("its top {} up, within {} of the cushion of {}",
                            rangeSaid(a, cushion + *level.low, cushion + *level.high),
                            lengthSaid(a, *level.high), sofa->name);
    else
        out.words += worded("its top within {} of the sofa's cushion", lengthSaid(a, *level.high));
    out.words += worded("; {} before it", bandSaid(a, bandOf(a, "seat-to-table")));
    if (sofa != nullptr)
        out.about = {sofa->id};
    return out;
}

/// A screen is set on it: a media console.
bool isUnderScreens(const Piece& p) {
    const auto& also = p.kind->also;
    return p.on.isFloor() && std::find(also.begin(), also.end(), "tv stand") != also.end();
}

/// How far an eye sits from the middle of a screen, along the floor; none where it can't be told.
std::optional<Length> seatToScreen(const Asking& a, const Piece* screen, const Piece** seat) {
    const Piece* from = ofRole(a, Role::sofa);
    if (from == nullptr)
        from = ofRole(a, Role::armchair);
    const Piece* to = screen != nullptr ? screen : largest(a, [](const Piece& p) {
        return p.kind->family == Family::screen || isUnderScreens(p);
    });
    if (from == nullptr || to == nullptr)
        return {};
    const Placed* one = a.scene->inPlan(from->id);
    const Placed* other = a.scene->inPlan(to->id);
    if (one == nullptr || other == nullptr)
        return {};
    *seat = from;
    return Length::millimetres(norm(one->pose.at - other->pose.at));
}

Answer screenSize(Asking& a, const AskedOf& of) {
    Answer out;
    const Piece* seat = nullptr;
    const double acrossToWidth = std::hypot(16.0, 9.0) / 16;
    const auto away = seatToScreen(a, of.piece, &seat);
    const double each = figureFor(a);
    if (away) {
        const double width = away->mm() / widthsAway();
        out.words =
            worded("{} wide or more, {} corner to corner: from {}, {} away, it fills {}° then",
                   lengthSaid(a, width), lengthSaid(a, width * acrossToWidth), seat->name,
                   lengthSaid(a, away->mm()), screenAngle);
        out.about = {seat->id};
    } else {
        out.words = worded("{} wide for every {} of the way from the seat: it fills {}° then",
                           lengthSaid(a, each / widthsAway()), lengthSaid(a, each), screenAngle);
    }
    const Piece* console =
        largest(a, [](const Piece& p) { return p.kind->id == "media-console" && p.on.isFloor(); });
    if (const Band share = bandOf(a, "screen-to-console"); console != nullptr)
        out.words += worded("; over {}: {}", console->name,
                            shareOf(a, share, console->size.width, console->name));
    return out;
}

/// A light over a table, or in the middle of the room.
Answer hungLight(Asking& a, const AskedOf& of, Asks what) {
    Answer out;
    const Piece* table = nullptr;
    if (of.piece != nullptr)
        for (const Tie& t : of.piece->ties)
            if (t.of.is == Target::Is::piece)
                table = a.scene->pieceById(t.of.piece);
    if (table == nullptr)
        table = ofRole(a, Role::diningTable);
    if (table == nullptr)
        table = largest(a, [](const Piece& p) { return p.kind->workedAt && p.on.isFloor(); });
    const bool high = what == Asks::height;
    if (table != nullptr) {
        out.about = {table->id};
        const Band share = bandOf(a, "pendant-size");
        const auto least = std::min(table->size.width, table->size.depth);
        if (!high)
            out.words = worded("Over {}: its width {}", table->name,
                               shareOf(a, share, least, std::string(told("its shorter side"))));
        const Rule& over =
            ruleOf(a, table->kind->workedAt ? "pendant-over-island" : "pendant-over-table");
        Band b = a.job.judgement.bandOf(over);
        const double by = raisedUnder(over, a.job.room->ceiling).mm();
        for (auto* bound : {&b.low, &b.high})
            if (*bound)
                **bound += by;
        out.words += (out.words.empty() ? std::string() : "; ") +
                     worded("its underside {} over the top of {}", bandSaid(a, b), table->name);
        out.words = capital(out.words);
        return out;
    }
    if (high) {
        const Band b = bandOf(a, "fixture-headroom");
        out.words =
            worded("Its underside {} above the floor, where people pass under it", bandSaid(a, b));
        return out;
    }
    // A room's length and width together in feet are its light's width in inches.
    const Vec2 size = a.job.room->bounds().size();
    const double across = (size.x + size.y) / 12;
    const Band share = bandOf(a, "fixture-room-size");
    out.words =
        worded("In the middle of the room: about {} across ({}), the room's length and "
               "width together over twelve",
               lengthSaid(a, across), rangeSaid(a, across * *share.low, across * *share.high));
    return out;
}

/// Curtains: their pole over the window and past its sides, and how long they hang then.
Answer curtains(Asking& a) {
    const auto habit = [&](std::string_view id) { return a.job.library.book->habit(id).mm(); };
    const double overLow = habit("curtain-over-least");
    const double overHigh = habit("curtain-over");
    const double pastLow = habit("curtain-past-least");
    const double pastHigh = habit("curtain-past");
    const KindPtr kind = a.job.library.kit->byWord("curtains");
    const double foot = kind ? kind->hangAt.mm() : 0;
    Answer out;
    out.words = worded("Their pole {} over the window and {} past it on each side, the cloth twice "
                       "as wide as that, down to {} off the floor (common practice)",
                       rangeSaid(a, overLow, overHigh), rangeSaid(a, pastLow, pastHigh),
                       lengthSaid(a, foot));
    constexpr std::size_t most = 3;
    std::size_t told = 0;
    for (const Opening& o : a.job.room->openings) {
        if (o.kind != OpeningKind::window || told++ == most)
            continue;
        const double highest = a.job.room->ceiling.mm();
        out.words += worded("; {}: the pole {} up and {} long, the curtains {} long", o.name(),
                            rangeSaid(a, std::min(o.head().mm() + overLow, highest),
                                      std::min(o.head().mm() + overHigh, highest)),
                            rangeSaid(a, o.width.mm() + 2 * pastLow, o.width.mm() + 2 * pastHigh),
                            rangeSaid(a, std::min(o.head().mm() + overLow, highest) - foot,
                                      std::min(o.head().mm() + overHigh, highest) - foot));
    }
    return out;
}

/// Art or a mirror over furniture.
Answer hungSize(Asking& a, const AskedOf& of) {
    Answer out;
    const Band share = bandOf(a, "art-width");
    const Piece* under = nullptr;
    if (a.in.take({"over", "above"})) {
        a.in.article();
        const Target t = a.in.target();
        // Over a fireplace, a window or a radiator: by how wide that is.
        const auto wall = t.is != Target::Is::piece ? wallOf(t, *a.scene) : std::nullopt;
        const auto box =
            wall && t.is != Target::Is::wall ? boxOn(t, *wall, *a.scene) : std::nullopt;
        if (t.is == Target::Is::piece) {
            under = a.scene->pieceById(t.piece);
        } else if (box) {
            a.end();
            const auto name = spoken(t, a.wording());
            out.words = worded("Over {}: its width {}", name,
                               shareOf(a, share, Length::millimetres(box->size().x), name));
            out.words += worded("; its foot {} above that", bandSaid(a, bandOf(a, "art-above")));
            return out;
        }
    }
    if (under == nullptr && of.piece != nullptr)
        for (const Tie& t : of.piece->ties)
            if (t.kind == Tie::Kind::above && t.of.is == Target::Is::piece)
                under = a.scene->pieceById(t.of.piece);
    if (under == nullptr)
        under = ofRole(a, Role::sofa);
    if (under == nullptr)
        under = ofRole(a, Role::bed);
    a.end();
    if (under == nullptr) {
        out.words = worded("{} to {} of the width of what it hangs over",
                           words(Amount::ratio(*share.low), a.job.notation),
                           words(Amount::ratio(*share.high), a.job.notation));
        return out;
    }
    out.words = worded("Over {}: its width {}", under->name,
                       shareOf(a, share, under->size.width, under->name));
    out.words += worded("; its foot {} above that", bandSaid(a, bandOf(a, "art-above")));
    out.about = {under->id};
    return out;
}

/// A table beside a bed or a seat: its top about level with the mattress, or with the arm.
std::optional<Answer> sideTable(Asking& a, const AskedOf& of, Asks what) {
    const bool night = of.kind->family == Family::sleep;
    const Piece* by = night ? ofRole(a, Role::bed) : ofRole(a, Role::sofa);
    if (!night && by == nullptr)
        by = ofRole(a, Role::armchair);
    const double within = isMetric(a.job.notation.units) ? 50 : 50.8;
    Answer out;
    // How wide it may be is told by the floor beside what it stands by.
    if (by != nullptr && of.piece == nullptr && (what == Asks::width || what == Asks::length)) {
        out.about = {by->id};
        tellFree(a, *by, {Side::left, Side::right}, out);
        return out;
    }
    const auto level = by == nullptr ? std::nullopt : night ? by->heights.top : by->heights.arm;
    if (level) {
        out.about = {by->id};
        out.words =
            night ? worded("Its top {} up, about level with the mattress of {} (common practice)",
                           rangeSaid(a, level->mm() - within, level->mm() + within), by->name)
                  : worded("Its top {} up, about level with the arm of {} (common practice)",
                           rangeSaid(a, level->mm() - within, level->mm() + within), by->name);
    } else {
        out.words = night ? worded("Its top within {} of the mattress's (common practice)",
                                   lengthSaid(a, within))
                          : worded("Its top within {} of the arm's (common practice)",
                                   lengthSaid(a, within));
    }
    out.words +=
        worded("; a cup in reach of each seat, {}", bandSaid(a, bandOf(a, "surface-in-reach")));
    return out;
}

/// As long as those who sit there need.
Answer diningTable(Asking& a) {
    const Band each = bandOf(a, "diner-width");
    Answer out;
    if (int n = 0; a.in.take({"for", "to seat", "that seats", "seating"}) && a.in.takeCount(n) &&
                   n > 0 && n <= mostAtTable) {
        const double wide = *each.low;
        const auto sides = [&](int people) { return (people + 1) / 2 * wide; };
        out.words = worded("For {}: {} long, {} with one at each end, or round, {} across; {} of "
                           "its edge each",
                           n, lengthSaid(a, sides(n)), lengthSaid(a, sides(std::max(n - 2, 2))),
                           lengthSaid(a, n * wide / std::numbers::pi), lengthSaid(a, wide));
        a.in.goTo(a.in.text().size());
        return out;
    }
    out.words =
        worded("{} of its edge for each who sits there, and {} from it to the wall behind a "
               "chair; “what table fits?” finds the largest here",
               bandSaid(a, each), bandSaid(a, bandOf(a, "dining-to-wall")));
    return out;
}

/// What stands with its back at a wall may be as wide as the free stretch that it stands in.
void tellItsWall(Asking& a, const AskedOf& of, Answer& out) {
    if (of.piece == nullptr || !of.piece->on.isFloor() || of.kind->flat())
        return;
    const auto wall = wallBehind(*a.scene, of.piece->id);
    const Placed* there = a.scene->fromAbove(of.piece->id);
    if (!wall || there == nullptr)
        return;
    const Wall& w = a.job.room->walls[static_cast<std::size_t>(*wall)];
    const double middle = dot(there->pose.at - w.start, w.along());
    for (const Stretch& s : freeAlong(*a.scene, *wall, of.piece->size.depth.mm(),
                                      of.piece->size.height, of.piece->id)) {
        if (middle < s.first || middle > s.second)
            continue;
        const auto figure = lengthSaid(a, s.second - s.first);
        out.words += ". " + worded("Up to {} on wall {}, from {} to {} from its left end", figure,
                                   w.name, lengthSaid(a, s.first), lengthSaid(a, s.second));
        const double high = a.job.room->ceiling.mm() / 2;
        out.marks.push_back({onWall(*wall), {s.first, high}, {s.second, high}, figure});
        return;
    }
}

std::optional<Answer> sizeOf(Asking& a, const AskedOf& of, Asks what) {
    switch (of.kind->role) {
    case Role::lowTable:
        return coffeeTable(a, what);
    case Role::sideTable:
        if (!of.kind->workedAt)
            return sideTable(a, of, what);
        break;
    case Role::diningTable:
        return diningTable(a);
    case Role::curtain:
        return curtains(a);
    case Role::art:
    case Role::mirror:
        return what == Asks::height ? std::nullopt : std::optional(hungSize(a, of));
    case Role::sconce: {
        Answer out;
        out.words =
            worded("Its centre {} above the floor", bandSaid(a, bandOf(a, "sconce-height")));
        return out;
    }
    default:
        break;
    }
    if (of.kind->family == Family::screen && what != Asks::height)
        return screenSize(a, of);
    if (of.kind->underCeiling() && of.kind->light && of.kind->light->cutOut <= Length{})
        return hungLight(a, of, what);
    auto out = usualSize(a, *of.kind, what == Asks::depth ? of.piece : nullptr);
    if (out && what != Asks::height && what != Asks::depth && !of.kind->workedAt)
        tellItsWall(a, of, *out);
    // What one works at on more than one side may be as large as the ways about it leave.
    if (out && of.kind->workedAt && of.piece != nullptr && what != Asks::height)
        tellFree(a, *of.piece, {Side::front, Side::behind, Side::left, Side::right}, *out);
    return out;
}

/// "how big should the coffee table be?", "what size tv should I get?", "what length curtains?"
std::optional<Answer> howLarge(Asking& a, Asks what) {
    a.in.take({"should", "must", "ought", "do i want", "do we want", "does", "of"});
    const auto of = thingAhead(a);
    if (!of || of->kind->id == "rug") // by what stands on it
        return {};
    if (what == Asks::height && of->is(Role::screen) &&
        (a.in.endOf("hang") > 0 || a.in.endOf("be hung") > 0))
        return {}; // how high it hangs is another question
    a.in.take({"should i get", "should we get", "should i buy", "should we buy", "do i need",
               "do we need",   "should i have", "should i use", "would work",    "works",
               "is right",     "is best",       "be",           "to be",         "need to be",
               "should be",    "hang",          "be hung",      "goes here",     "for here"});
    // How high a thing on a wall is to hang is another question.
    if (what == Asks::height && of->kind->hangs() && !of->is(Role::curtain))
        return {};
    for (const char* fits : {"fits", "fit", "will", "would", "can", "could", "goes", "is there"})
        if (a.in.endOf(fits) > 0)
            return {}; // what fits is found by trying
    const bool own = of->is(Role::art) || of->is(Role::mirror) || of->is(Role::diningTable);
    if (!own) {
        // What it is for is found by itself.
        if (a.in.take({"over", "above", "for", "under", "in front of", "with", "by", "beside",
                       "next to", "in", "on"}))
            a.in.goTo(a.in.text().size());
        a.end();
    }
    auto out = sizeOf(a, *of, what);
    if (out && what != Asks::depth && of->piece != nullptr) {
        const Size& s = of->piece->size;
        out->about.insert(out->about.begin(), of->piece->id);
        const auto size = [&](Length l) { return writeGap(l, a.job.notation); };
        out->words += of->kind->flat() ? worded(". {} is {} by {}", of->piece->name, size(s.width),
                                                size(s.depth))
                                       : worded(". {} is {} wide and {} high", of->piece->name,
                                                size(s.width), size(s.height));
    }
    return out;
}

/// "how many lights do I need?": by the floor's area, as the rule has it.
std::optional<Answer> howManyLights(Asking& a) {
    if (!a.in.take({"recessed lights", "can lights", "downlights", "spotlights", "spots",
                    "ceiling lights", "lights"}))
        return {};
    if (!a.in.take({"do i need", "do we need", "are needed", "should there be", "should i have",
                    "does it need", "does this room need", "does the room need", "would i need"}))
        return {};
    a.in.take({"here", "in here", "in this room", "in the room"});
    a.end();
    if (!a.job.room->closed)
        a.in.failAhead("the room is not closed, so it has no area", "tape the walls all round");
    const double floor = factsOf(*a.job.room).floorArea;
    const Band each = bandOf(a, "recessed-count");
    if (!each.low || !each.high || *each.low <= 0)
        return {};
    const auto units = a.job.notation.units;
    // The rule's band is in the notation's squares: feet, or metres.
    const double square = isMetric(units) ? 1e6 : 304.8 * 304.8;
    const auto least = std::max(1.0, std::ceil(floor / (*each.high * square) - 1e-9));
    const auto most = std::max(least, std::floor(floor / (*each.low * square) + 1e-9));
    return Answer{
        worded("{:.0f} to {:.0f} recessed lights, for {} of floor; “light this room evenly” "
               "sets them out",
               least, most, writeArea(floor, units))};
}

} // namespace

const std::vector<Question>& sizingQuestions() {
    static const std::vector<Question> all{
        {{"how big should", "how large should", "what size should", "what size", "what size of",
          "how big do i want", "how big must", "how big a", "how large a"},
         [](Asking& a) { return howLarge(a, Asks::size); },
         "how large a thing should be, by what is there",
         "how big should the coffee table be?; what size tv should I get?"},
        {{"how long should", "what length should", "what length of", "what length",
          "how long must"},
         [](Asking& a) { return howLarge(a, Asks::length); },
         "the same of its length",
         "how long should curtains be?"},
        {{"how wide should", "what width should", "what width of", "what width", "how wide must"},
         [](Asking& a) { return howLarge(a, Asks::width); },
         "the same of its width",
         "how wide should a rug be?"},
        {{"how deep should", "what depth should", "how deep must"},
         [](Asking& a) { return howLarge(a, Asks::depth); },
         "",
         ""},
        {{"how high should", "how tall should", "what height should", "how tall must"},
         [](Asking& a) { return howLarge(a, Asks::height); },
         "the same of its height",
         "how high should a nightstand be?"},
        {{"how many"},
         &howManyLights,
         "the lights that a room wants, by its floor",
         "how many lights do I need?"},
    };
    return all;
}

} // namespace mezzet
