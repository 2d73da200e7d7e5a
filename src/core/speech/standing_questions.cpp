// What stands about a thing, how one gets past, and who sees a screen.
#include "edit/beside_wall.h"
#include "edit/words_reader.h"
#include "geometry/gap.h"
#include "judge/ahead.h"
#include "judge/reading.h"
#include "judge/say.h"
#include "judge/sights.h"
#include "judge/ways.h"
#include "measure/text.h"
#include "measure/texts.h"
#include "scheme/on_wall.h"
#include "scheme/spoken.h"
#include "speech/meant_words.h"
#include "speech/questions.h"

#include <algorithm>
#include <array>
#include <cmath>

namespace mezzet {

namespace {

using Is = Target::Is;

/// "can the tv be seen from the sofa?", "can the tv be seen?": from each seat that there is.
std::optional<Answer> canBeSeen(Asking& a) {
    const int screen = a.piece();
    if (!a.in.take({"be seen", "seen"}))
        return {};
    std::vector<int> seats;
    if (a.in.take({"from", "by"})) {
        seats = a.in.pieces();
        if (seats.empty()) {
            a.in.article();
            if (!a.in.take({"seats", "all seats", "everywhere", "every seat", "all the seats"}))
                seats = {a.piece()};
        }
    }
    a.end();
    const Piece& shows = *a.scene->pieceById(screen);
    if (shows.kind->role != Role::screen)
        return {};
    const FloorView floor(*a.scene);
    const auto sights = screenSights(floor);
    Answer out;
    const auto tell = [&](const Piece& from) {
        const auto s = std::find_if(sights.begin(), sights.end(), [&](const ScreenSight& o) {
            return o.seat == from.id && o.screen == screen;
        });
        out.words += out.words.empty() ? "" : ". ";
        out.about.push_back(from.id);
        if (s == sights.end()) {
            out.words += worded("{} doesn't look toward {}", from.name, shows.name);
        } else if (s->hiddenBy != 0) {
            out.words += worded("From {} it is hidden by {}", from.name,
                                a.scene->pieceById(s->hiddenBy)->name);
        } else {
            out.words += worded("From {} it is {} off, and takes {}° of the view", from.name,
                                writeGap(s->distance, a.job.notation),
                                static_cast<int>(std::lround(s->across.inDegrees())));
            out.marks.push_back({theFloor(), floor.byId(from.id)->pose.at, s->face,
                                 writeGap(s->distance, a.job.notation)});
        }
    };
    for (const int seat : seats)
        tell(*a.scene->pieceById(seat));
    if (!seats.empty())
        return out;
    for (const Placed& there : floor.placed) {
        const Piece& p = *a.scene->pieceById(there.id);
        if (p.kind->isSeat() && (p.kind->role == Role::sofa || p.kind->role == Role::armchair))
            tell(p);
    }
    if (out.words.empty())
        out.words = worded("There is no seat to see {} from", shows.name);
    return out;
}

/// A thing's stretch of its wall, and the way into the room; none for what is in no wall.
struct InWall {
    Segment along;
    Vec2 inward;
};
std::optional<InWall> inWall(const Target& t, std::optional<int> wall, const Scene& scene) {
    const auto box = wall && t.is != Is::wall ? boxOn(t, *wall, scene) : std::nullopt;
    if (!box)
        return {};
    const Wall& w = scene.room->walls[static_cast<std::size_t>(*wall)];
    return InWall{{w.start + w.along() * box->low.x, w.start + w.along() * box->high.x},
                  w.inward()};
}

/// Where a thing is on the floor: an outline of no depth for what is in a wall.
std::optional<Shape> outlineOf(const Target& t, const Scene& scene) {
    if (t.is == Is::piece) {
        const Placed* there = scene.fromAbove(t.piece);
        return there != nullptr ? std::optional(there->shape) : std::nullopt;
    }
    const auto own = inWall(t, wallIn(t, *scene.room), scene);
    return own ? std::optional(stretch(own->along)) : std::nullopt;
}

/// As far as one asks what is near.
Length aStrideOrTwo(const Asking& a) {
    return a.job.library.book->habit("near");
}

/// What stands on the floor, and how far it is from a thing.
struct Near {
    Gap gap;
    const Piece* piece;
};
/// All but the thing itself and rugs, the nearest first.
std::vector<Near> nearestFirst(const Target& t, const Shape& own, const Scene& scene) {
    std::vector<Near> all;
    const FloorView floor(scene);
    for (std::size_t i = 0; i < floor.placed.size(); ++i)
        if (const Piece& p = floor.piece(i);
            !(t.is == Is::piece && p.id == t.piece) && !p.kind->flat() && p.on.isFloor())
            all.push_back({gapBetween(own, floor.placed[i].shape), &p});
    std::stable_sort(all.begin(), all.end(),
                     [](const Near& x, const Near& y) { return x.gap.apart < y.gap.apart; });
    return all;
}

/// "Desk 12" off": shown on the floor too.
std::string toldOff(const Asking& a, const Near& near, Answer& out) {
    const auto far = writeGap(near.gap.apart, a.job.notation);
    out.about.push_back(near.piece->id);
    out.marks.push_back({theFloor(), near.gap.onFirst, near.gap.onSecond, far});
    return worded("{} {} off", near.piece->name, far);
}

/// "what is near the door?": what stands and hangs within a stride or two, the nearest first.
std::optional<Answer> whatIsNear(Asking& a) {
    a.in.article();
    const Target t = a.in.target();
    a.end();
    const auto own = outlineOf(t, *a.scene);
    if (!own)
        return {};
    const Length near = aStrideOrTwo(a);
    constexpr std::size_t most = 4;
    auto all = nearestFirst(t, *own, *a.scene);
    std::erase_if(all, [&](const Near& n) { return n.gap.apart > near; });
    Answer out;
    if (all.empty()) {
        out.words = worded("Nothing stands within {} of {}", writeGap(near, a.job.notation),
                           spoken(t, a.wording()));
        return out;
    }
    for (std::size_t i = 0; i < std::min(most, all.size()); ++i)
        out.words += (i == 0 ? "" : ", ") + toldOff(a, all[i], out);
    if (all.size() > most)
        out.words += worded(", and {} more", all.size() - most);
    return out;
}

/// The floor straight before a thing, as wide as it is, so far out; none where it is in no plan.
std::optional<Shape> floorBefore(const Target& t, const Scene& scene, Length far) {
    auto own = inWall(t, wallOf(t, scene), scene);
    if (const Piece* p = t.is == Is::piece ? scene.pieceById(t.piece) : nullptr;
        p != nullptr && p->on.isFloor()) {
        const Placed* there = scene.fromAbove(t.piece);
        if (there == nullptr)
            return {};
        const Vec2 out = there->pose.front();
        const Vec2 edge = there->pose.at + out * (p->size.depth.mm() / 2);
        const Vec2 half = there->pose.right() * (p->size.width.mm() / 2);
        own = InWall{{edge - half, edge + half}, out};
    }
    if (!own)
        return {};
    const Vec2 out = own->inward * far.mm();
    const auto& [from, to] = own->along;
    const std::array<Vec2, 4> corners{from, to, to + out, from + out};
    return convexPolygon(corners);
}

/// "what is in front of the radiator?", "is anything blocking the door?", "is the window blocked?":
/// what stands straight before it, the nearest first.
std::optional<Answer> whatIsBefore(Asking& a) {
    a.in.article();
    const std::size_t at = a.in.at();
    const Target t = a.in.target();
    const std::size_t end = a.in.at();
    if (const auto began = a.in.since(0); began.starts_with("is the") || began.starts_with("are "))
        if (!a.in.take({"blocked", "obstructed", "covered", "hidden", "in the way", "free", "clear",
                        "blocked by anything", "blocked by something"}))
            return {};
    a.end();
    const Length far = aStrideOrTwo(a);
    const auto strip = floorBefore(t, *a.scene, far);
    const auto own = outlineOf(t, *a.scene);
    if (!strip || !own)
        a.in.fail(at, std::max<std::size_t>(end - at, 1), "nothing can stand before that",
                  "name a door, a window, what is built in, or what stands on the floor");
    auto all = nearestFirst(t, *own, *a.scene);
    std::erase_if(all, [&](const Near& n) {
        return gapBetween(*strip, a.scene->fromAbove(n.piece->id)->shape).depth <= quiet;
    });
    Answer out;
    const auto name = spoken(t, a.wording());
    if (t.is == Is::piece)
        out.about = {t.piece};
    if (all.empty()) {
        out.words =
            worded("Nothing stands before {} within {}", name, writeGap(far, a.job.notation));
        return out;
    }
    std::vector<std::string> parts;
    for (const Near& n : all)
        parts.push_back(toldOff(a, n, out));
    out.words = worded("Before {}: {}", name, listed(parts));
    return out;
}

/// "what is over the crib?", "is anything above the sofa?": what hangs on the wall behind it and
/// under the ceiling, over its own width.
std::optional<Answer> whatIsOver(Asking& a) {
    a.in.article();
    const Target t = a.in.target();
    a.end();
    const auto wall = wallOf(t, *a.scene);
    Box box;
    if (const auto own = wall ? boxOn(t, *wall, *a.scene) : std::nullopt)
        box = *own;
    const Placed* own = t.is == Is::piece ? a.scene->fromAbove(t.piece) : nullptr;
    Answer out;
    if (t.is == Is::piece)
        out.about = {t.piece};
    std::vector<std::string> names;
    for (const Piece& p : a.job.scheme().pieces) {
        if ((t.is == Is::piece && p.id == t.piece) || p.isGroup())
            continue;
        bool over = false;
        if (wall && p.onWall() && !box.empty() && p.wall() == *wall) {
            const auto its = boxOn(pieceTarget(p.id), *wall, *a.scene);
            over = its && its->low.x < box.high.x && its->high.x > box.low.x &&
                   its->centre().y > box.centre().y;
        } else if (p.kind->underCeiling() && own != nullptr) {
            const Placed* there = a.scene->inPlan(p.id);
            over = there != nullptr && gapBetween(there->shape, own->shape).apart <= quiet;
        }
        if (over) {
            names.push_back(p.name);
            out.about.push_back(p.id);
        }
    }
    const auto name = spoken(t, a.wording());
    out.words = names.empty() ? worded("Nothing hangs over {}", name)
                              : worded("Over {}: {}", name, listed(names));
    return out;
}

/// "which way does the front door swing?"
std::optional<Answer> whichWaySwings(Asking& a) {
    a.in.article();
    const Target t = a.in.target(false);
    if (!a.in.take({"swing", "open", "hang", "turn"}))
        return {};
    a.end();
    for (const Opening& o : a.job.room->openings) {
        if (targetOf(o) != t || o.kind != OpeningKind::door)
            continue;
        const auto name = capital(spoken(t, a.wording()));
        if (o.style != DoorStyle::hinged)
            return Answer{worded("{} does not swing", name)};
        return Answer{o.swingsIn
                          ? (o.hingeRight ? worded("{} swings in, hinged on the right", name)
                                          : worded("{} swings in, hinged on the left", name))
                          : (o.hingeRight ? worded("{} swings out, hinged on the right", name)
                                          : worded("{} swings out, hinged on the left", name))};
    }
    return {};
}

/// Names by what is told of each, in the order it comes up.
class ByWhatIsTold {
public:
    void add(const std::string& what, const std::string& name) {
        const auto same = std::find_if(all_.begin(), all_.end(),
                                       [&](const auto& each) { return each.first == what; });
        if (same == all_.end())
            all_.push_back({what, {name}});
        else
            same->second.push_back(name);
    }
    [[nodiscard]] std::string told(const char* between) const {
        std::string out;
        for (const auto& [what, names] : all_)
            out += (out.empty() ? "" : between) + worded("{}: {}", listed(names), what);
        return out;
    }

private:
    std::vector<std::pair<std::string, std::vector<std::string>>> all_;
};

/// "how wide are the nightstands?", of several: each of those that differ.
std::optional<Answer> howBigAre(Asking& a) {
    const auto began = a.in.since(0);
    const auto ids = a.in.pieces();
    if (ids.size() < 2)
        return {};
    a.end();
    const bool wide = began.starts_with("how wide") || began.starts_with("how long");
    const bool deep = began.starts_with("how deep");
    const bool high = began.starts_with("how high") || began.starts_with("how tall");
    const auto size = [&](const Piece& p) {
        const auto l = [&](Length x) { return writeGap(x, a.job.notation); };
        return wide   ? l(p.size.width)
               : deep ? l(p.size.depth)
               : high ? l(p.size.height)
                      : sizeWords(p, a.job.notation);
    };
    Answer out;
    ByWhatIsTold all;
    for (const int id : ids) {
        const Piece& p = *a.scene->pieceById(id);
        out.about.push_back(id);
        all.add(size(p), p.name);
    }
    out.words = all.told("; ");
    return out;
}

/// "how wide is the walkway?": what the ways through the room come to at their narrowest.
std::optional<Answer> howWideIsTheWay(Asking& a) {
    a.in.take({"in here", "in the room", "through the room", "through", "here"});
    a.end();
    const auto all = judge(*a.scene, *a.job.library.book, a.job.judgement);
    const Reading* worst = nullptr;
    const auto isWay = [](const Reading& r) {
        return r.rule->id == "walkway-main" || r.rule->id == "walkway-minor";
    };
    for (const Reading& r : all)
        if (isWay(r) && (worst == nullptr || weightOf(r) > weightOf(*worst) ||
                         (weightOf(r) == weightOf(*worst) && r.value.value < worst->value.value)))
            worst = &r;
    Answer out;
    if (worst == nullptr) {
        out.words = "Nothing stands near any way through the room";
        return out;
    }
    out.words = sentenceOf(*worst, a.wording());
    // What is right is told without its figure.
    if (!worst->off() && worst->value.value > 0)
        out.words =
            worded("{} at the narrowest. {}",
                   writeGap(Length::millimetres(worst->value.value), a.job.notation), out.words);
    if (worst->piece != 0)
        out.about.push_back(worst->piece);
    out.marks.push_back({theFloor(), worst->at[0], worst->at[1], ""});
    return out;
}

/// "what has to be fixed to the wall?": what stands and is cautioned so when it is placed.
std::optional<Answer> whatIsFixed(Asking& a) {
    a.in.take({"to the wall", "to a wall", "to walls", "to the walls", "over", "down", "back",
               "against tipping"});
    a.end();
    Answer out;
    ByWhatIsTold all;
    for (const Piece& p : a.job.scheme().pieces) {
        // The kit says it in words only: cords and lids are cautioned of as well.
        if (p.onWall() || p.kind->underCeiling() || !mentions(p.kind->caution, {"the wall", "tip"}))
            continue;
        all.add(std::string(told(p.kind->caution)), p.name);
        out.about.push_back(p.id);
    }
    out.words = out.about.empty() ? worded("Nothing that stands here asks for it") : all.told(" ");
    return out;
}

/// By how much one outline reaches past another on its four sides, mm: right, left, front and back
/// of the other, as its own pose has them; less than nothing where it ends short of it.
std::array<double, 4> past(const Shape& one, const Placed& other) {
    const Vec2 across = turned({1, 0}, other.pose.turn);
    const Vec2 ahead = other.pose.front();
    std::array<double, 4> out{};
    const std::array<Vec2, 4> ways{across, -across, ahead, -ahead};
    for (std::size_t i = 0; i < ways.size(); ++i)
        out[i] = extent(one, ways[i]) - extent(other.shape, ways[i]);
    return out;
}

/// "how far does the rug reach past the sofa?": side by side, on the floor or on their wall.
std::optional<Answer> howFarPast(Asking& a) {
    const int one = a.piece();
    if (!a.in.take({"stick out", "sticks out", "reach out", "extend out", "reach", "reaches",
                    "extend", "extends", "project", "jut out", "jut", "go", "come out", "overhang",
                    "hang over", "show", "stand out", "stick"}))
        return {};
    a.in.take({"out from under", "from under", "from underneath", "from behind", "out past",
               "out beyond", "beyond", "past", "around", "outside", "over", "on each side of",
               "on either side of", "either side of", "each side of", "out from"});
    const int other = a.piece();
    if (one == other)
        return {};
    a.in.take({"on each side", "on either side", "at each end", "at either end", "on all sides",
               "all round", "all around"});
    a.end();
    const Piece& own = *a.scene->pieceById(one);
    const Piece& by = *a.scene->pieceById(other);
    const auto gap = [&](double far) {
        return writeGap(Length::millimetres(std::abs(far)), a.job.notation);
    };
    const auto told = [&](std::initializer_list<std::pair<double, std::string>> sides) {
        std::vector<std::string> more;
        std::vector<std::string> fewer;
        for (const auto& [far, words] : sides)
            if (std::abs(far) > quiet.mm())
                (far > 0 ? more : fewer).push_back(words);
        Answer out;
        out.about = {one, other};
        out.words = more.empty()
                        ? worded("{} doesn't reach past {}", own.name, by.name)
                        : worded("{} reaches past {} by {}", own.name, by.name, listed(more));
        if (!fewer.empty())
            out.words += worded("; it ends short of it by {}", listed(fewer));
        return out;
    };
    if (own.onWall()) {
        const auto a1 = boxOn(pieceTarget(one), own.wall(), *a.scene);
        const auto b1 = boxOn(pieceTarget(other), own.wall(), *a.scene);
        if (!a1 || !b1)
            return {};
        const double left = b1->low.x - a1->low.x;
        const double right = a1->high.x - b1->high.x;
        const double top = by.onWall() ? a1->high.y - b1->high.y : 0;
        const double bottom = by.onWall() ? b1->low.y - a1->low.y : 0;
        return told({{left, worded("{} on the left", gap(left))},
                     {right, worded("{} on the right", gap(right))},
                     {top, worded("{} at the top", gap(top))},
                     {bottom, worded("{} at the bottom", gap(bottom))}});
    }
    const Placed* there = a.scene->fromAbove(one);
    const Placed* at = a.scene->fromAbove(other);
    if (there == nullptr || at == nullptr)
        return {};
    const auto far = past(there->shape, *at);
    return told({{far[2], worded("{} in front", gap(far[2]))},
                 {far[3], worded("{} behind", gap(far[3]))},
                 {far[1], worded("{} on its left", gap(far[1]))},
                 {far[0], worded("{} on its right", gap(far[0]))}});
}

} // namespace

std::optional<Answer> usualSize(const Asking& a, const Kind& kind, const Piece* passed) {
    const auto size = [&](Length l) { return writeGap(l, a.job.notation); };
    if (kind.role == Role::group || kind.size.width <= Length{})
        return {};
    Answer out;
    const Placed* there =
        passed != nullptr && passed->on.isFloor() ? a.scene->fromAbove(passed->id) : nullptr;
    const Rule* way = a.job.library.book->byId("walkway-main");
    if (there != nullptr && way != nullptr && wallBehind(*a.scene, passed->id)) {
        const auto stop = aheadOf(FloorView(*a.scene), *passed, *there, Side::front).stop;
        const double wants = a.job.judgement.bandOf(*way).low.value_or(0);
        const double most = stop ? stop->ahead + passed->size.depth.mm() - wants : 0;
        if (most > 0)
            out.words = worded("Up to {} leaves {} to walk past {}; it is {} deep",
                               size(Length::millimetres(most)), size(Length::millimetres(wants)),
                               passed->name, size(passed->size.depth));
        else if (stop)
            out.words = worded("However shallow it is, less than {} is left to walk past {}",
                               size(Length::millimetres(wants)), passed->name);
        out.about = {passed->id};
        if (stop)
            return out;
    }
    // What hangs or lies flat has no depth, or height, to speak of.
    const bool flat = kind.flat();
    const std::string name = capital(foldCase(kind.name));
    out.words =
        kind.hangs() ? worded("{}: usually {} wide and {} high", name, size(kind.size.width),
                              size(kind.size.height))
        : flat ? worded("{}: usually {} by {}", name, size(kind.size.width), size(kind.size.depth))
               : worded("{}: usually {} wide, {} deep and {} high", name, size(kind.size.width),
                        size(kind.size.depth), size(kind.size.height));
    return out;
}

const std::vector<Question>& standingQuestions() {
    static const std::vector<Question> all{
        {{"can"},
         &canBeSeen,
         "from which seats a screen is seen, and how far off",
         "can television be seen from sofa?"},
        {{"what is near", "what's near", "what stands near", "what is by", "what is beside"},
         &whatIsNear,
         "what stands within a stride or two of a thing",
         "what is near door 1?"},
        {{"what is in front of",
          "what's in front of",
          "what stands in front of",
          "what is before",
          "what is blocking",
          "what's blocking",
          "what blocks",
          "is anything in front of",
          "is anything blocking",
          "does anything hit",
          "does anything touch",
          "is something blocking",
          "is something in front of",
          "does anything block",
          "is there anything in front of",
          "is there anything blocking",
          "does anything stand in front of",
          "is anything before",
          "is anything in the way of",
          "does anything cover",
          "is anything covering",
          "is the",
          "is my"},
         &whatIsBefore,
         "what stands before a thing, and how far off",
         "what is in front of window 1?; is anything blocking door 1?; is the radiator blocked?"},
        {{"what has to be fixed",
          "what must be fixed",
          "what needs to be fixed",
          "what should be fixed",
          "what needs fixing to",
          "which pieces have to be fixed",
          "which pieces need to be fixed",
          "which pieces must be fixed",
          "which pieces need fixing",
          "which pieces should be fixed",
          "what has to be secured",
          "what needs securing",
          "what needs to be secured",
          "which pieces need to be secured",
          "what has to be anchored",
          "what needs anchoring",
          "what needs to be anchored",
          "which pieces need to be anchored",
          "what can tip",
          "what could tip",
          "what might tip",
          "which pieces can tip",
          "which pieces could tip"},
         &whatIsFixed,
         "what stands and must be fixed to the wall",
         "what has to be fixed to the wall?"},
        {{"which way does", "how does", "where does"},
         &whichWaySwings,
         "which way a door's leaf goes",
         "which way does door 1 swing?"},
        {{"how wide are", "how long are", "how deep are", "how high are", "how tall are",
          "how big are", "how large are"},
         &howBigAre,
         "the size of several",
         "how wide are dining chairs?"},
        {{"what is over", "what is above", "what hangs over", "what hangs above", "what's over",
          "what's above", "is anything over", "is anything above", "is there anything over",
          "is there anything above", "does anything hang over", "does anything hang above"},
         &whatIsOver,
         "what hangs over a thing",
         "what is over sofa?"},
        {{"how wide is the walkway", "how wide are the walkways", "how wide is the way through",
          "how wide are the ways"},
         &howWideIsTheWay,
         "the narrowest place on the ways through the room, as the rules have it",
         "how wide is the walkway?"},
        {{"how far does", "how far do", "how much does", "how much do", "how much of", "does",
          "do"},
         &howFarPast,
         "by how much a thing reaches past another, on each side",
         "how far does rug reach past sofa?"},
    };
    return all;
}

} // namespace mezzet
