// How far things should be from each other, and the room that ways, chairs and beds want.
#include "edit/arrange.h"
#include "edit/words_reader.h"
#include "measure/text.h"
#include "measure/texts.h"
#include "speech/asked_of.h"
#include "speech/meant_words.h"

#include <algorithm>
#include <cstdlib>

namespace mezzet {

namespace {

/// Several lights over the table or the counter there: evenly, the outer ones as far from its ends
/// as half the way between two. None where neither is there.
std::optional<Answer> lightsApart(const Asking& a) {
    const Piece* under = onlyDiningTable(a.job);
    for (const Piece& p : a.job.scheme().pieces)
        if (under == nullptr && p.kind->workedAt && p.on.isFloor())
            under = &p;
    if (under == nullptr)
        return {};
    const double along = std::max(under->size.width, under->size.depth).mm();
    Answer out;
    out.about = {under->id};
    out.words =
        worded("Over {}, from middle to middle: two {} apart, three {}; the outer ones half "
               "of that from its ends",
               under->name, lengthSaid(a, along / 2), lengthSaid(a, along / 3));
    return out;
}

/// How far two kinds of things stand apart, by the rule that says so; none where no rule does.
std::optional<Answer> apart(const Asking& a, const AskedOf& one, const AskedOf* other) {
    const auto either = [&](auto is) { return is(one) || (other != nullptr && is(*other)); };
    const auto table = [](const AskedOf& o) { return o.is(Role::lowTable) || o.is(Role::perch); };
    const auto seat = [](const AskedOf& o) { return o.kind->family == Family::seat; };
    const auto screen = [](const AskedOf& o) { return o.kind->family == Family::screen; };
    const auto hung = [](const AskedOf& o) { return o.is(Role::art) || o.is(Role::mirror); };
    if (other == nullptr) {
        if (one.kind->light && one.kind->underCeiling())
            return lightsApart(a);
        if (one.is(Role::perch))
            return Answer{worded("{} from the middle of one to the middle of the next, so that "
                                 "elbows have room",
                                 lengthSaid(a, elbowRoom(a.job).mm()))};
        if (hung(one))
            return Answer{
                worded("{} between neighbours in a group", bandSaid(a, bandOf(a, "group-gap")))};
        if (seat(one))
            return Answer{worded("{} from front edge to front edge, to talk across",
                                 bandSaid(a, bandOf(a, "conversation")))};
        return {};
    }
    if (either(screen)) {
        Answer out;
        const Piece* tv = one.piece != nullptr && screen(one) ? one.piece
                          : screen(*other)                    ? other->piece
                                                              : nullptr;
        const double each = figureFor(a);
        out.words =
            worded("{} away at the most for every {} of the screen's width: it fills {}° then",
                   lengthSaid(a, each * widthsAway()), lengthSaid(a, each), screenAngle);
        if (tv != nullptr) {
            out.words +=
                worded("; {} of {}", lengthSaid(a, tv->size.width.mm() * widthsAway()), tv->name);
            out.about = {tv->id};
        }
        return out;
    }
    if (either(table) && either(seat))
        return Answer{worded("{}: room for knees, and a cup in reach",
                             bandSaid(a, bandOf(a, "seat-to-table")))};
    if (either(hung) && !(hung(one) && hung(*other)))
        return Answer{worded("{} above what is below it", bandSaid(a, bandOf(a, "art-above")))};
    if (hung(one) && hung(*other))
        return Answer{
            worded("{} between neighbours in a group", bandSaid(a, bandOf(a, "group-gap")))};
    if (seat(one) && seat(*other))
        return Answer{worded("{} from front edge to front edge, to talk across",
                             bandSaid(a, bandOf(a, "conversation")))};
    return {};
}

/// How far from a screen so wide one sits at the most, mm.
Answer awayFromAScreen(const Asking& a, double width) {
    return Answer{worded("{} away at the most: a screen {} wide fills {}° then",
                         lengthSaid(a, width * widthsAway()), lengthSaid(a, width), screenAngle)};
}

/// "how far should the sofa be from the tv?", "how far apart should pictures hang?"
std::optional<Answer> howFarShould(Asking& a) {
    // "how far should I sit from a 65 inch tv?": its size is said, or is the one there.
    if (const std::size_t at = a.in.at();
        a.in.take({"i sit", "we sit", "you sit", "one sit", "people sit", "i be", "we be",
                   "i have to sit", "i put the sofa", "we put the sofa", "the seats be",
                   "the seat be", "a seat be"})) {
        a.in.take({"away"});
        a.in.take({"from"});
        a.in.article();
        std::optional<Length> across;
        if (a.in.lengthAhead()) {
            const std::size_t figure = a.in.at();
            across = a.in.length("the screen's size");
            // A bare figure of a screen is inches, whatever the room is taped in.
            if (const auto said = a.in.since(figure);
                said.find_first_not_of("0123456789. ") == std::string_view::npos)
                across = Length::inches(std::strtod(std::string(said).c_str(), nullptr));
            a.in.take({"-inch", "inch", "in"});
        }
        const auto screen = thingAhead(a);
        if (screen && screen->kind->family == Family::screen) {
            a.in.take({"be", "sit", "screen"});
            a.end();
            const auto width = across          ? std::optional(screenWidth(across->mm()))
                               : screen->piece ? std::optional(screen->piece->size.width.mm())
                                               : std::nullopt;
            if (!width) {
                const AskedOf seat{a.job.library.kit->byWord("sofa")};
                return apart(a, seat, &*screen);
            }
            return awayFromAScreen(a, *width);
        }
        a.in.goTo(at);
    }
    const auto one = thingAhead(a);
    if (!one)
        return {};
    a.in.take({"be", "go", "stand", "sit", "hang", "be hung", "be placed", "be put"});
    a.in.take({"away"});
    if (!a.in.take({"from", "to", "above", "over", "in front of", "off", "and"})) {
        a.end();
        if (one->kind->family == Family::screen && one->kind->role == Role::screen)
            return awayFromAScreen(a, one->piece != nullptr ? one->piece->size.width.mm()
                                                            : one->kind->size.width.mm());
        return apart(a, *one, nullptr);
    }
    const auto other = thingAhead(a);
    if (!other && a.in.take({"the wall", "a wall", "the walls"})) {
        a.end();
        if (one->is(Role::rug))
            return Answer{worded("{} of floor left bare", bandSaid(a, bandOf(a, "rug-border")))};
        if (one->kind->isSatInTo())
            return Answer{worded("{} behind a chair that is drawn back",
                                 bandSaid(a, bandOf(a, "dining-to-wall")))};
        return {};
    }
    if (!other)
        return {};
    a.in.take({"be", "go", "hang"});
    a.end();
    // What is measured there is told by its own question.
    if (one->piece != nullptr && other->piece != nullptr)
        return {};
    return apart(a, *one, &*other);
}

/// "how wide should a walkway be?", "how much room do I need behind a chair?"
std::optional<Answer> roomWanted(Asking& a) {
    a.in.take({"should", "do i need", "do we need", "is needed", "should i leave",
               "should we leave", "must i leave", "do i leave", "must there be", "should there be",
               "should i allow", "to leave", "need i leave", "does one need", "do you need"});
    a.in.take({"for", "behind", "around", "round", "in front of", "beside", "at"});
    a.in.article();
    if (a.in.take({"walkways", "walkway", "ways", "way through", "way", "passages", "passage",
                   "path", "paths", "aisle", "walk through", "walk past", "walk", "people to walk",
                   "traffic"})) {
        a.in.take({"be", "to be"});
        a.end();
        return Answer{worded("A main way {}, a lesser one {}",
                             bandSaid(a, bandOf(a, "walkway-main")),
                             bandSaid(a, bandOf(a, "walkway-minor")))};
    }
    if (a.in.take({"dining chairs", "dining chair", "chairs", "chair", "dining table", "table"})) {
        a.in.take({"be", "to be"});
        a.end();
        return Answer{
            worded("{} from the table's edge to the wall; {} is the least to draw a chair "
                   "back, and {} lets someone sit down",
                   bandSaid(a, bandOf(a, "dining-to-wall")),
                   lengthSaid(a, ruleOf(a, "chair-pull-out").setting("draw").mm()),
                   lengthSaid(a, bandOf(a, "chair-pull-out").low.value_or(0)))};
    }
    if (a.in.take({"beds", "bed", "sides of the bed", "side of the bed"})) {
        a.in.take({"be", "to be"});
        a.end();
        return Answer{
            worded("{} on each side that one gets in by", bandSaid(a, bandOf(a, "walkway-minor")))};
    }
    return {};
}

} // namespace

const std::vector<Question>& distanceQuestions() {
    static const std::vector<Question> all{
        {{"how far apart should", "how far should", "how close should", "how near should",
          "how far from each other should"},
         &howFarShould,
         "how far things should be from each other",
         "how far should a sofa be from a coffee table?; how far should I sit from a 65 inch tv?"},
        {{"how much room", "how much space", "how much clearance", "how wide should"},
         &roomWanted,
         "the room a way, a chair or a bed wants",
         "how much room do I need behind a chair?"},
    };
    return all;
}

} // namespace mezzet
