// Questions about sizes: of a piece, a wall, an opening, the room; and how high a thing hangs.
#include "edit/beside_wall.h"
#include "edit/sizes_said.h"
#include "measure/text.h"
#include "measure/texts.h"
#include "room/facts.h"
#include "scheme/on_wall.h"
#include "scheme/spoken.h"
#include "speech/questions.h"

namespace mezzet {

namespace {

using Is = Target::Is;

/// "how high is the ceiling at wall B?": there, and how high it is elsewhere.
Answer ceilingAtPlace(const Asking& a, const Target& t) {
    const Room& room = *a.job.room;
    const auto size = [&](Length l) { return write(l, a.job.notation); };
    Vec2 at = middleOf(t, *a.scene);
    // Just before a wall, and not in it.
    if (const auto wall = wallOf(t, *a.scene); wall && t.is != Is::piece)
        at = at + room.walls[static_cast<std::size_t>(*wall)].inward() * 1e-6;
    const Length there = room.ceilingAt(at);
    Answer out;
    if (t.is == Is::piece)
        out.about = {t.piece};
    out.words =
        there == room.ceiling
            ? worded("The ceiling is {} over the floor at {}", size(there), spoken(t, a.wording()))
            : worded("The ceiling is {} over the floor at {}, and {} at its full height",
                     size(there), spoken(t, a.wording()), size(room.ceiling));
    return out;
}

/// "how wide is the sofa", "how long is wall A", "how big is the room"
std::optional<Answer> howBig(Asking& a) {
    a.in.goTo(0);
    a.in.take({"and", "so"});
    const bool plain = a.in.take({"how big", "how large", "what size", "what are the sizes of",
                                  "what is the size of", "what's the size of"});
    std::string_view which;
    for (const auto& [said, word] : {std::pair<std::string_view, std::string_view>{"width", "wide"},
                                     {"length", "long"},
                                     {"depth", "deep"},
                                     {"height", "high"}})
        if (a.in.take({"what is the " + std::string(said) + " of",
                       "what's the " + std::string(said) + " of"}))
            which = word;
    if (!which.empty()) {
        // "what is the width of the sofa?"
    } else if (!plain) {
        a.in.take({"how"});
        for (const std::string_view w : {"wide", "long", "deep", "tall", "high"})
            if (a.in.take({w}))
                which = w;
    }
    const std::size_t after = a.in.at();
    if (!a.in.take({"is", "are", "does"}) && !plain && which.empty())
        return {};
    if (plain && a.in.at() == after && a.in.endOf("a") > 0)
        return {}; // "how big a rug"
    a.in.article();
    const std::size_t at = a.in.at();
    if (a.in.take({"ceiling"})) {
        if (a.in.take({"at", "over", "above", "by", "near", "along"})) {
            const Target t = a.in.target();
            a.end();
            return ceilingAtPlace(a, t);
        }
        a.end();
        return Answer{
            worded("The ceiling is {} over the floor", write(a.job.room->ceiling, a.job.notation))};
    }
    const Target t = a.in.target();
    a.in.take({"hang", "hung", "hanging"});
    a.end();
    const auto size = [&](Length l) { return writeGap(l, a.job.notation); };
    const auto name = capital(spoken(t, a.wording()));
    switch (t.is) {
    case Is::piece: {
        const Piece& p = *a.scene->pieceById(t.piece);
        Answer out;
        out.about = {p.id};
        if (which == "high" && p.onWall()) {
            const Vec2 middle = a.scene->byId(p.id)->pose.at;
            const double half = p.size.height.mm() / 2;
            out.words = worded("{} hangs with its centre at {}, its foot at {} and its top at {}",
                               name, size(Length::millimetres(middle.y)),
                               size(Length::millimetres(middle.y - half)),
                               size(Length::millimetres(middle.y + half)));
        } else if (which == "high" && p.kind->underCeiling()) {
            const Length foot = a.job.room->ceiling - a.scene->byId(p.id)->off - p.size.height;
            out.words = worded("{} hangs with its underside at {}, and is {} high", name,
                               size(foot), size(p.size.height));
        } else if (plain) {
            out.words = p.onWall()
                            ? worded("{} is {} wide, {} high and {} deep", name, size(p.size.width),
                                     size(p.size.height), size(p.size.depth))
                            : worded("{} is {} wide, {} deep and {} high", name, size(p.size.width),
                                     size(p.size.depth), size(p.size.height));
        } else {
            const bool deep = which == "deep" || (which == "long" && isLongFrontToBack(p));
            const bool high = which == "high" || which == "tall";
            out.words = worded("{} is {} {}", name,
                               size(deep   ? p.size.depth
                                    : high ? p.size.height
                                           : p.size.width),
                               which);
        }
        return out;
    }
    case Is::wall: {
        const Wall& w = a.job.room->walls[static_cast<std::size_t>(t.index)];
        return Answer{worded("{} is {} long", name, write(w.length(), a.job.notation))};
    }
    case Is::window:
    case Is::door:
    case Is::opening:
        for (const Opening& o : a.job.room->openings)
            if (t == targetOf(o))
                return Answer{
                    o.kind == OpeningKind::window
                        ? worded("{} is {} wide and {} high, its sill at {}", name, size(o.width),
                                 size(o.height), size(o.sill))
                        : worded("{} is {} wide and {} high", name, size(o.width), size(o.height))};
        return {};
    case Is::chimney:
    case Is::fixture:
        if (const Fixture* f = fixtureOf(*a.job.room, t);
            f != nullptr && (which == "high" || which == "tall") && f->height > Length{})
            return Answer{worded("{} is {} high", name, size(f->height))};
        if (const Fixture* f = fixtureOf(*a.job.room, t))
            return Answer{
                worded("{} is {} wide and {} deep", name, size(f->width), size(f->depth))};
        return {};
    case Is::room: {
        const Vec2 s = a.job.room->bounds().size();
        auto words = worded("The room is {} by {}, and {} high",
                            write(Length::millimetres(s.x), a.job.notation),
                            write(Length::millimetres(s.y), a.job.notation),
                            write(a.job.room->ceiling, a.job.notation));
        if (const double floor = factsOf(*a.job.room).floorArea; floor > 0)
            words += worded("; its floor is {}", writeArea(floor, a.job.notation.units));
        return Answer{std::move(words)};
    }
    default:
        a.in.fail(at, std::max<std::size_t>(a.in.at() - at, 1), "that has no size",
                  "name a piece, a wall or an opening");
    }
}

/// "what is the seat height of the sofa?", "how high are the arms of the sofa?"
std::optional<Answer> howHighIsItsPart(Asking& a) {
    a.in.goTo(0);
    a.in.take({"what is", "what's", "whats", "how high is", "how high are", "how tall is",
               "how tall are"});
    a.in.article();
    using Part = std::optional<Length> Heights::*;
    Part part = nullptr;
    for (const auto& [noun, its] : {std::pair<std::string, Part>{"seat", &Heights::seat},
                                    {"cushion", &Heights::seat},
                                    {"arm", &Heights::arm},
                                    {"armrest", &Heights::arm},
                                    {"back", &Heights::back},
                                    {"headboard", &Heights::back},
                                    {"top", &Heights::top},
                                    {"surface", &Heights::top}})
        if (part == nullptr && a.in.take({noun + " height of", noun + " height on", noun + "s of",
                                          noun + " of", noun + "s on", noun + " on"}))
            part = its;
    if (part == nullptr)
        return {};
    const int id = a.piece();
    a.end();
    const Piece& p = *a.scene->pieceById(id);
    if (p.onWall() || p.kind->underCeiling())
        return {}; // how high it hangs is asked
    auto height = p.heights.*part;
    if (!height && part == &Heights::top && p.kind->hasTop())
        height = p.top();
    const auto size = [&](Length l) { return writeGap(l, a.job.notation); };
    Answer out;
    out.about = {id};
    if (!height)
        out.words =
            worded("No such height is kept of {}; it is {} high", p.name, size(p.size.height));
    else if (part == &Heights::seat)
        out.words = worded("The seat of {} is {} up", p.name, size(*height));
    else if (part == &Heights::arm)
        out.words = worded("The arms of {} are {} up", p.name, size(*height));
    else if (part == &Heights::back)
        out.words = worded("The back of {} is {} up", p.name, size(*height));
    else
        out.words = worded("The top of {} is {} up", p.name, size(*height));
    return out;
}

} // namespace

const std::vector<Question>& sizeQuestions() {
    static const std::vector<Question> all{
        {{"what is the seat",          "what's the seat",         "whats the seat",
          "what is the arm",           "what's the arm",          "what is the back",
          "what's the back",           "what is the top",         "what's the top",
          "how high is the seat",      "how high is the back",    "how high is the arm",
          "how high are the arms",     "how high is the armrest", "how high is the headboard",
          "how high is the top",       "how high is the cushion", "how tall is the back",
          "how tall is the headboard", "what is the headboard",   "what's the headboard"},
         &howHighIsItsPart,
         "how high the seat, the arms, the back or the top of a piece is",
         "what is the seat height of sofa?"},
        {{"how wide", "how long", "how deep", "how tall", "how high", "how big", "how large",
          "what size", "what are the sizes of", "what is the size of", "what's the size of",
          "what is the width of", "what is the length of", "what is the depth of",
          "what is the height of", "what's the width of", "what's the length of",
          "what's the depth of", "what's the height of"},
         &howBig,
         "the size of a piece, a wall, an opening or the room; how high a thing hangs",
         "how wide is sofa?; how long is wall A?; how big is the room?"},
    };
    return all;
}

} // namespace mezzet
