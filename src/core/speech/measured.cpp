// Questions about what is there: how far, how big, where.
#include "edit/arrange.h"
#include "edit/beside_wall.h"
#include "geometry/gap.h"
#include "judge/ahead.h"
#include "measure/text.h"
#include "measure/texts.h"
#include "room/facts.h"
#include "scheme/on_wall.h"
#include "scheme/spoken.h"
#include "speech/asked_of.h"
#include "speech/meant_words.h"
#include "speech/questions.h"

#include <algorithm>
#include <cmath>

namespace mezzet {

namespace {

using Is = Target::Is;

/// What stands for a thing in plan: its outline, its wall's face, its opening's stretch.
std::optional<Shape> inPlan(const Target& t, const Scene& s) {
    switch (t.is) {
    case Is::piece: {
        const Placed* p = s.inPlan(t.piece);
        if (p == nullptr)
            p = s.fromAbove(t.piece);
        if (const Piece* hung = s.pieceById(t.piece); p == nullptr && hung->onWall())
            if (const auto b = boxOn(t, hung->wall(), s)) {
                const Wall& w = s.room->walls[static_cast<std::size_t>(hung->wall())];
                const Vec2 face = w.start + w.inward() * hung->size.depth.mm();
                return stretch({face + w.along() * b->low.x, face + w.along() * b->high.x});
            }
        return p != nullptr ? std::optional(p->shape) : std::nullopt;
    }
    case Is::wall: {
        const Wall& w = s.room->walls[static_cast<std::size_t>(t.index)];
        return stretch({w.start, w.end});
    }
    case Is::window:
    case Is::door:
    case Is::opening:
        for (const Opening& o : s.room->openings)
            if (t == targetOf(o)) {
                const Wall& w = s.room->walls[static_cast<std::size_t>(o.wall)];
                return stretch({w.at(o.left), w.at(o.left + o.width)});
            }
        return {};
    case Is::chimney:
    case Is::fixture: {
        const Fixture* f = fixtureOf(*s.room, t);
        if (f == nullptr || f->takesFloor())
            return f != nullptr ? std::optional(solid(*s.room, *f)) : std::nullopt;
        const Wall& w = s.room->walls[static_cast<std::size_t>(f->wall)]; // an outlet: a point
        return stretch({w.at(f->left), w.at(f->left + f->width)});
    }
    case Is::corner: {
        const Vec2 at = s.room->walls[static_cast<std::size_t>(t.index)].start;
        return stretch({at, at});
    }
    default:
        return {};
    }
}

/// "the wall": the nearest one to the other thing.
std::optional<Target> nearestWall(const Target& to, const Scene& s) {
    const auto shape = inPlan(to, s);
    if (!shape)
        return {};
    std::optional<Target> best;
    double least = 0;
    for (std::size_t i = 0; i < s.room->walls.size(); ++i) {
        const Target wall = wallTarget(static_cast<int>(i));
        const double apart = gapBetween(*shape, *inPlan(wall, s)).apart.mm();
        if (best && apart >= least)
            continue;
        best = wall;
        least = apart;
    }
    return best;
}

/// What the rules say of the two, if anything.
std::string ruledWords(const Asking& a, const Target& one, const Target& other) {
    for (const Reading& r : judge(*a.scene, *a.job.library.book, a.job.judgement)) {
        const Target about = r.piece != 0 ? pieceTarget(r.piece) : Target{};
        const bool both = (about == one && (r.other == other || r.to == other)) ||
                          (about == other && (r.other == one || r.to == one));
        if (both && r.rule->seenInPlan && r.value.quantity == Quantity::length)
            return whyOf(r, a.wording());
    }
    return {};
}

/// The two on one wall: between near edges along it, or up it where one is over the other.
std::optional<Answer> onOneWall(const Asking& a, const Target& one, const Target& other) {
    const Piece* p = one.is == Is::piece ? a.scene->pieceById(one.piece) : nullptr;
    const Piece* q = other.is == Is::piece ? a.scene->pieceById(other.piece) : nullptr;
    const bool hung = (p != nullptr && p->onWall()) || (q != nullptr && q->onWall());
    if (!hung)
        return {};
    const int wall = p != nullptr && p->onWall() ? p->wall() : q->wall();
    const auto b = boxOn(one, wall, *a.scene);
    const auto c = boxOn(other, wall, *a.scene);
    // A sofa across the room from a screen is that far from it, and not under it.
    const auto standsOff = [&](const Piece* f) {
        return f != nullptr && !f->onWall() &&
               gapBetween(*inPlan(pieceTarget(f->id), *a.scene),
                          *inPlan(wallTarget(wall), *a.scene))
                       .apart > Length::inches(24);
    };
    if (!b || !c || standsOff(p) || standsOff(q))
        return {};
    const double across = std::max(b->low.x, c->low.x) - std::min(b->high.x, c->high.x);
    const double up = std::max(b->low.y, c->low.y) - std::min(b->high.y, c->high.y);
    const bool beside = across > up;
    const double apart = std::max(across, up);
    if (apart < 0)
        return Answer{worded("{} and {} overlap on {}", spoken(one, a.wording()),
                             spoken(other, a.wording()), spoken(wallTarget(wall), a.wording()))};
    Answer out;
    const auto figure = writeGap(Length::millimetres(apart), a.job.notation);
    out.words = worded("{}: {} is {} {} {}", figure, capital(spoken(one, a.wording())), figure,
                       beside                ? "beside"
                       : b->low.y > c->low.y ? "above"
                                             : "below",
                       spoken(other, a.wording()));
    const Vec2 low{std::max(b->low.x, c->low.x), std::max(b->low.y, c->low.y)};
    const Vec2 high{std::min(b->high.x, c->high.x), std::min(b->high.y, c->high.y)};
    const Vec2 middle = (low + high) / 2;
    out.marks.push_back({onWall(wall), beside ? Vec2{high.x, middle.y} : Vec2{middle.x, high.y},
                         beside ? Vec2{low.x, middle.y} : Vec2{middle.x, low.y}, figure});
    return out;
}

/// What is named next; none for "the wall", which is the one nearest to the other thing.
std::optional<Target> thingOrWall(Asking& a) {
    a.in.article();
    const std::size_t here = a.in.at();
    if (a.in.take({"wall", "nearest wall", "closest wall"}))
        if (const auto w = a.in.ahead();
            w.empty() || w == "to" || w == "from" || w == "and" || w == "?")
            return {};
    a.in.goTo(here);
    return a.in.target();
}

/// How far two things are apart, and what the rules say of it. `at`: where they are named.
Answer between(Asking& a, std::optional<Target> one, std::optional<Target> other, std::size_t at) {
    a.end();
    if (!one || !other || *one == *other)
        a.in.fail(at, std::max<std::size_t>(a.in.at() - at, 1), "there is nothing between those",
                  "say it like: how far is sofa from wall A?");
    Answer out;
    if (auto hung = onOneWall(a, *one, *other)) {
        out = std::move(*hung);
    } else {
        const auto first = inPlan(*one, *a.scene);
        const auto second = inPlan(*other, *a.scene);
        if (!first || !second)
            a.in.fail(at, std::max<std::size_t>(a.in.at() - at, 1),
                      "there is no distance between those",
                      "name pieces, walls, or what is in them");
        const Gap gap = gapBetween(*first, *second);
        const auto name = [&](const Target& t) { return spoken(t, a.wording()); };
        if (gap.depth > Length::millimetres(0.5)) {
            out.words = worded("{} and {} overlap by {}", name(*one), name(*other),
                               writeGap(gap.depth, a.job.notation));
        } else {
            const auto figure = writeGap(gap.apart, a.job.notation);
            out.words = worded("{}: from {} to {}, between their nearest edges", figure, name(*one),
                               name(*other));
            out.marks.push_back({theFloor(), gap.onFirst, gap.onSecond, figure});
        }
        if (const auto ruled = ruledWords(a, *one, *other); !ruled.empty())
            out.words += ". " + ruled;
    }
    for (const Target& t : {*one, *other})
        if (t.is == Is::piece)
            out.about.push_back(t.piece);
    return out;
}

/// "how far apart are the armchairs": two of them, or of more those next to each other.
std::optional<Answer> amongThem(Asking& a) {
    const std::size_t start = a.in.at();
    std::vector<int> ids;
    try {
        a.in.article();
        ids = a.in.pieces();
        a.in.take({"from each other", "from one another", "apart", "each other"});
    } catch (const LineFault&) {
        ids.clear();
    }
    if (ids.empty()) { // "the armchairs", of only one
        a.in.goTo(start);
        try {
            a.in.article();
            if (const int one = a.in.piece(); one != 0)
                ids.push_back(one);
            a.in.take({"from each other", "from one another", "apart", "each other"});
        } catch (const LineFault&) {
            ids.clear();
        }
    }
    if (ids.size() == 1 && (a.in.done() || a.in.ahead() == "?"))
        return Answer{worded("There is only one: {}", a.scene->pieceById(ids.front())->name)};
    if (ids.size() < 2 || !(a.in.done() || a.in.ahead() == "?")) {
        a.in.goTo(start);
        return {};
    }
    if (ids.size() == 2)
        return between(a, pieceTarget(ids[0]), pieceTarget(ids[1]), start);
    a.end();
    Answer out;
    out.about = ids;
    std::vector<std::string> parts;
    for (const int id : ids) {
        std::optional<Gap> least;
        int nearest = 0;
        const auto one = inPlan(pieceTarget(id), *a.scene);
        for (const int other : ids) {
            const auto two = inPlan(pieceTarget(other), *a.scene);
            if (other == id || !one || !two)
                continue;
            const Gap gap = gapBetween(*one, *two);
            if (!least || gap.apart < least->apart) {
                least = gap;
                nearest = other;
            }
        }
        if (!least)
            continue;
        const auto figure = writeGap(least->apart, a.job.notation);
        parts.push_back(worded("{} is {} from {}", spoken(pieceTarget(id), a.wording()), figure,
                               spoken(pieceTarget(nearest), a.wording())));
        out.marks.push_back({theFloor(), least->onFirst, least->onSecond, figure});
    }
    if (parts.empty())
        return {};
    out.words = worded("Each from the one nearest to it: {}", listed(parts));
    return out;
}

std::optional<Answer> howFar(Asking& a) {
    // "how far is it from the sofa to the wall": only a word of the sentence.
    if (foldCase(a.in.rest()).find(" to ") != std::string::npos)
        a.in.take({"it is from", "is it from"});
    a.in.take({"apart are", "away is", "away from", "it is between", "is it between",
               "is there between", "is between", "from", "between", "is", "are"});
    a.in.take({"the gap between", "the distance between", "between", "from"});
    const std::size_t at = a.in.at();
    if (auto several = amongThem(a))
        return several;
    std::optional<Target> one = thingOrWall(a);
    const bool firstWall = !one;
    std::optional<Target> other;
    a.in.take({"apart"});
    if (!a.in.take({"is", "are", "away from", "from", "to", "and", "off"})) {
        if (a.selected == 0 || !one)
            a.in.failAhead("from what?", "say it like: how far is sofa from wall A?");
        other = one;
        one = pieceTarget(a.selected);
    } else if (other = thingOrWall(a); !other && one) {
        other = nearestWall(*one, *a.scene);
    }
    if (firstWall && other)
        one = nearestWall(*other, *a.scene);
    return between(a, one, other, at);
}

} // namespace

std::optional<Answer> howFarFrom(Asking& a, const Target& one) {
    const std::size_t at = a.in.at();
    const auto other = thingOrWall(a);
    return between(a, one, other ? other : nearestWall(one, *a.scene), at);
}

namespace {

/// "where is the armchair", "where is window 1": how it stands, and what it is tied to.
std::optional<Answer> where(Asking& a) {
    a.in.take({"is", "are", "does", "do"});
    if (const std::size_t at = a.in.at(); !a.in.nameAhead()) {
        std::optional<Target> t;
        try {
            a.in.article();
            a.in.take({"light", "wall"});
            t = a.in.target(false);
        } catch (const LineFault& f) {
            if (!f.problem.oneOfSeveral.empty())
                throw;
        }
        const auto wall = t ? wallIn(*t, *a.job.room) : std::nullopt;
        const auto box = wall && t->is != Is::wall ? boxOn(*t, *wall, *a.scene) : std::nullopt;
        if (box) {
            a.in.take({"located", "on", "placed"});
            a.end();
            return Answer{
                worded("{} is on wall {}, {} from its left corner and {} up",
                       capital(spoken(*t, a.wording())), wallName(*wall),
                       write(Length::millimetres(box->low.x), a.job.notation),
                       write(Length::millimetres(std::max(0.0, box->low.y)), a.job.notation))};
        }
        a.in.goTo(at);
    }
    const int id = a.piece();
    a.in.take({"stand", "hang", "go", "sit"});
    a.end();
    const Piece& p = *a.scene->pieceById(id);
    Answer out;
    out.about = {id};
    if (p.onWall()) {
        const Vec2 at = a.scene->byId(id)->pose.at;
        out.words =
            worded("{} hangs {}, its centre {} from the left corner and {} up", p.name,
                   spoken(p.on, a.wording()), write(Length::millimetres(at.x), a.job.notation),
                   write(Length::millimetres(at.y), a.job.notation));
        return out;
    }
    if (p.on.isCarried()) {
        out.words = worded("{} stands {}", p.name, spoken(p.on, a.wording()));
        return out;
    }
    std::vector<std::string> parts;
    for (const WallNear& near : wallsNear(*a.scene, id))
        if (parts.size() < 2)
            parts.push_back(worded("{} from {}", writeGap(near.gap, a.job.notation),
                                   spoken(wallTarget(near.wall), a.wording())));
    out.words = worded("{} stands {}", p.name, listed(parts));
    std::vector<std::string> ties;
    for (const Tie& t : p.ties)
        ties.push_back(words(t, a.wording()));
    if (!ties.empty())
        out.words += worded("; it is tied {}", listed(ties));
    return out;
}

/// "in front of", "to the left of": takes it; none, and nothing taken, where no side is said.
std::optional<Side> sideSaid(Asking& a) {
    if (a.in.take({"in front of", "before", "past"}))
        return Side::front;
    if (a.in.take({"behind", "at the back of"}))
        return Side::behind;
    for (const auto& [side, word] : {std::pair{Side::left, "left"}, {Side::right, "right"}})
        for (const char* begins : {"to the ", "on the ", "at the ", ""})
            if (const auto at = std::string(begins) + word;
                a.in.take({at + " of", at + " side of", at + " hand side of"}))
                return side;
    return {};
}

/// "how much room is behind the armchairs?": of each of several, on the side that is said; none,
/// and nothing taken, where one is named, or no side.
std::optional<Answer> ofEachOfThem(Asking& a, std::optional<Side> side) {
    const std::size_t at = a.in.at();
    const auto words = std::string(trimmed(a.in.rest()));
    const auto pieces = side ? piecesNamed(words, a.job) : std::vector<const Piece*>();
    if (pieces.size() < 2)
        return {};
    const FloorView floor(*a.scene);
    Answer out;
    std::vector<std::string> parts;
    for (const Piece* p : pieces) {
        // Behind a chair at a table it is from the table's edge.
        if (tieToTable(*p, a.job.scheme()) != nullptr)
            return {};
        const Placed* where = p->on.isFloor() ? a.scene->fromAbove(p->id) : nullptr;
        if (where == nullptr)
            return {};
        out.about.push_back(p->id);
        const auto [lane, stop] = aheadOf(floor, *p, *where, *side);
        if (!stop) {
            parts.push_back(worded("the room is open on that side of {}", p->name));
            continue;
        }
        const auto figure = writeGap(Length::millimetres(stop->ahead), a.job.notation);
        parts.push_back(
            worded("{} from {} to {}", figure, p->name, spoken(stop->what, a.wording())));
        out.marks.push_back({theFloor(), lane.from, lane.from + lane.along * stop->ahead, figure});
    }
    a.in.goTo(at + a.in.rest().size());
    out.words = capital(fmt::format("{}", fmt::join(parts, "; ")));
    return out;
}

/// "how much room is in front of the radiator?": from what is in a wall, straight out, to what
/// comes first.
std::optional<Answer> roomOut(const Asking& a, const Target& t) {
    const auto wall = wallOf(t, *a.scene);
    const auto box = wall && t.is != Is::wall ? boxOn(t, *wall, *a.scene) : std::nullopt;
    if (!box || t.is == Is::piece)
        return {};
    const Wall& w = a.job.room->walls[static_cast<std::size_t>(*wall)];
    const Fixture* built = fixtureOf(*a.job.room, t);
    const Length deep = built != nullptr && !built->isPoint() ? built->depth : Length{};
    // From just before its own face, so that it is not what comes first itself.
    constexpr double just = 0.01;
    const Vec2 middle = w.start + w.along() * ((box->low.x + box->high.x) / 2);
    const Lane lane{middle + w.inward() * (deep.mm() + just), w.inward(),
                    Length::millimetres((box->high.x - box->low.x) / 2 - just)};
    const FloorView floor(*a.scene);
    const auto stop =
        firstAhead(floor, lane, Length::metres(100), [](std::size_t) { return true; });
    const auto name = spoken(t, a.wording());
    if (!stop)
        return Answer{worded("Nothing stands there: the room is open on that side of {}", name)};
    const auto figure = writeGap(Length::millimetres(stop->ahead + just), a.job.notation);
    Answer out;
    out.words = worded("{}: from {} to {}", figure, name, spoken(stop->what, a.wording()));
    out.marks.push_back({theFloor(), lane.from, lane.from + lane.along * stop->ahead, figure});
    if (stop->what.is == Is::piece)
        out.about = {stop->what.piece};
    return out;
}

/// "how much room is in front of the wardrobe?": from that side of it to what comes first there.
std::optional<Answer> roomBefore(Asking& a) {
    a.in.take({"is", "are", "do i have", "do we have", "have i", "have we"});
    a.in.take({"there", "there is"});
    // "is left of it" tells a side, "is left in front of it" doesn't.
    auto told = sideSaid(a);
    if (!told && a.in.take({"left", "free"}))
        told = sideSaid(a);
    const Side side = told.value_or(Side::left);
    const bool beside = !told && a.in.take({"beside", "next to", "at the sides of"});
    const bool around = !told && !beside && a.in.take({"all around", "around", "round"});
    if (!told && !beside && !around)
        return {};
    const std::size_t at = a.in.at();
    if (auto each = ofEachOfThem(a, told ? std::optional(side) : std::nullopt))
        return each;
    a.in.article();
    if (told == Side::front && !a.in.nameAhead()) {
        const std::size_t back = a.in.at();
        try {
            const Target named = a.in.target(false);
            a.end();
            if (auto out = roomOut(a, named))
                return out;
        } catch (const LineFault&) { // it may be a piece by a part of its name
        }
        a.in.goTo(back);
    }
    const int id = a.in.piece();
    if (id == 0)
        a.in.noneYet();
    const Placed* where = id != 0 ? a.scene->fromAbove(id) : nullptr;
    if (where == nullptr || !a.scene->pieceById(id)->on.isFloor())
        a.in.fail(at, std::max<std::size_t>(a.in.at() - at, 1), "that stands nowhere on the floor",
                  "name what stands on the floor");
    a.end();
    const Piece& p = *a.scene->pieceById(id);
    const FloorView floor(*a.scene);
    const auto found = [&](Side s) { return aheadOf(floor, p, *where, s); };
    if (around) {
        // Each side by itself, in the order one tells them.
        Answer out;
        out.about = {id};
        tellFree(a, p, {Side::front, Side::behind, Side::left, Side::right}, out);
        return out;
    }
    auto best = found(side);
    if (beside)
        if (auto other = found(Side::right);
            other.stop && (!best.stop || other.stop->ahead > best.stop->ahead))
            best = other;
    const auto& [lane, stop] = best;
    if (!stop)
        return Answer{worded("Nothing stands there: the room is open on that side of {}", p.name)};
    const auto figure = writeGap(Length::millimetres(stop->ahead), a.job.notation);
    Answer out;
    out.words = worded("{}: from {} to {}", figure, p.name, spoken(stop->what, a.wording()));
    out.about = {id};
    out.marks.push_back({theFloor(), lane.from, lane.from + lane.along * stop->ahead, figure});
    for (const Reading& r : judge(*a.scene, *a.job.library.book, a.job.judgement))
        if (r.piece == id && r.toMend() &&
            (r.rule->id == "access" || r.rule->id == "chair-pull-out"))
            if (auto why = whyOf(r, a.wording()); out.words.find(why) == std::string::npos)
                out.words += ". " + why;
    return out;
}

/// "how much wall is left of the door?": from it to the next thing in its wall, or the corner.
std::optional<Answer> wallBeside(Asking& a) {
    a.in.take({"there", "free"});
    a.in.take({"to the", "on the"});
    const bool left = a.in.take({"left side", "left hand side", "left"});
    if (!left && !a.in.take({"right side", "right hand side", "right"}))
        a.in.failAhead("on which side?", "say it like: how much wall is left of window 1?");
    a.in.take({"of"});
    const std::size_t at = a.in.at();
    a.in.article();
    const Target t = a.in.target();
    const std::size_t end = a.in.at();
    a.end();
    const auto wall = wallOf(t, *a.scene);
    const auto box = wall ? boxOn(t, *wall, *a.scene) : std::nullopt;
    const auto next =
        box ? nextInWall(t, *wall, left ? Side::left : Side::right, *a.scene) : std::nullopt;
    if (!next)
        a.in.fail(at, std::max<std::size_t>(end - at, 1), "that is in no wall",
                  "name a door, a window or what is built in");
    const Wall& w = a.job.room->walls[static_cast<std::size_t>(*wall)];
    const auto other = next->is == Is::corner ? std::nullopt : boxOn(*next, *wall, *a.scene);
    const double from = left ? (other ? other->high.x : 0.0) : box->high.x;
    const double to = left ? box->low.x : (other ? other->low.x : w.length().mm());
    const auto figure = writeGap(Length::millimetres(std::max(0.0, to - from)), a.job.notation);
    Answer out;
    out.words =
        worded("{}: wall {} from {} to {}", figure, w.name, spoken(left ? *next : t, a.wording()),
               spoken(left ? t : *next, a.wording()));
    std::vector<std::string> there;
    const FloorView floor(*a.scene);
    for (const Standing& s : standingBefore(floor, *wall))
        if (s.left < to && s.right > from && !floor.piece(s.index).kind->flat())
            there.push_back(floor.piece(s.index).name);
    if (!there.empty())
        out.words += worded(". Before it: {}", listed(there));
    const double high = a.job.room->ceiling.mm() / 2;
    out.marks.push_back({onWall(*wall), {from, high}, {to, high}, figure});
    return out;
}

} // namespace

const std::vector<Question>& measuredQuestions() {
    static const std::vector<Question> all{
        {{"how much room is", "how much space is", "how much room", "how much space",
          "how much clearance is", "how much clearance"},
         &roomBefore,
         "the clear floor on one side of a piece, to what comes first there",
         "how much room is in front of sofa?"},
        {{"how much wall is", "how much wall", "how much free wall is"},
         &wallBeside,
         "the wall beside something in it, to the next thing or the corner",
         "how much wall is left of window 1?"},
        {{"how far apart are",
          "how far apart",
          "how far away is",
          "how far",
          "how close",
          "how near",
          "what is the distance",
          "what's the distance",
          "what is the gap",
          "what's the gap",
          "distance",
          "how much room is there between",
          "how much room between",
          "how much space is there between",
          "how much space between",
          "how much is between",
          "how much space do i have between",
          "how much room do i have between",
          "how much space do we have between",
          "what is between",
          "what's between",
          "how much room",
          "how much space",
          "gap between"},
         &howFar,
         "the clear distance between two things, at their nearest",
         "how far is sofa from bookcase?; how far is sofa from the wall?"},
        {{"where", "where's"}, &where, "where a piece stands or hangs", "where is sofa?"},
    };
    return all;
}

} // namespace mezzet
