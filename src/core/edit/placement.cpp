#include "edit/surface_words.h"
#include "geometry/gap.h"
#include "measure/text.h"

#include <fmt/format.h>

#include <algorithm>
#include <cmath>

namespace mezzet {

namespace {

constexpr const char* standsHow = "say where it stands, like: 6 behind sofa";
/// How far front legs stand on a rug, when nothing is said; 6 in is the least (common practice).
constexpr Length usualFrontLegs = Length::inches(8);

class PlacementReader {
public:
    PlacementReader(WordsReader& words, const Piece& subject, const Scene& scene)
        : in_(words), subject_(subject), scene_(scene) {}

    Placement read() {
        while (!in_.done()) {
            if (in_.comma() || in_.take({"and", "then", "is", "to"}))
                continue;
            clause();
        }
        for (Tie& t : out_.ties)
            if (t.kind == Tie::Kind::centredOn && t.of.is == Target::Is::piece)
                t.side = sideBeside(t.of);
        return out_;
    }

private:
    Tie& add(Tie::Kind kind) {
        Tie t;
        t.kind = kind;
        out_.ties.push_back(t);
        return out_.ties.back();
    }

    [[nodiscard]] std::string standsOnFloor() const {
        return fmt::format("{} stands on the floor; only what hangs on a wall goes over a thing",
                           subject_.name.empty() ? subject_.kind->name : subject_.name);
    }

    /// The side of another piece this one is said to stand at, now or before.
    Side sideBeside(const Target& of) const {
        for (const auto* ties : {&out_.ties, &subject_.ties})
            for (const Tie& t : *ties)
                if (t.kind == Tie::Kind::fromPiece && t.of == of)
                    return t.side;
        return Side::front;
    }

    void wants(const Target& t, std::size_t at, std::initializer_list<Target::Is> fine,
               const char* what) {
        if (std::find(fine.begin(), fine.end(), t.is) == fine.end())
            in_.fail(at, in_.at() - at, fmt::format("“{}” doesn't go with that", what),
                     "see docs/line.md for what each phrase takes");
        notItself(t, at);
    }
    void notItself(const Target& t, std::size_t at) {
        if (t.is == Target::Is::piece && t.piece == subject_.id)
            in_.fail(at, in_.at() - at, fmt::format("{} can't be placed by itself", subject_.name),
                     "name another piece");
    }

    void clause() {
        using Is = Target::Is;
        in_.article();
        const std::size_t at = in_.at();
        if (readSurface(in_, subject_, scene_, out_))
            return;
        if (in_.take({"against"})) {
            auto& tie = add(Tie::Kind::against);
            const auto t = in_.target();
            tie.of = t;
            wants(
                t, at,
                {Is::wall, Is::window, Is::door, Is::opening, Is::chimney, Is::fixture, Is::piece},
                "against");
            if (t.is == Is::window || t.is == Is::door || t.is == Is::opening)
                toWall(tie.of);
            last_ = t;
        } else if (in_.take({"in front of", "behind", "beside", "next to", "to the left of",
                             "to the right of", "left of", "right of"})) {
            in_.goTo(at);
            side(standing(), false);
        } else if (in_.take({"in line with"})) {
            auto& tie = add(Tie::Kind::inLineWith);
            tie.of = in_.target();
            wants(
                tie.of, at,
                {Is::piece, Is::wall, Is::window, Is::door, Is::opening, Is::chimney, Is::fixture},
                "in line with");
        } else if (in_.take({"in the corner", "in corner", "in a corner"})) {
            const Target corner = in_.corner();
            // Only what turns in has an angle to stand in.
            const auto& walls = in_.job().room->walls;
            const auto i = static_cast<std::size_t>(corner.index);
            if (i < walls.size() &&
                cross(walls[(i + walls.size() - 1) % walls.size()].along(), walls[i].along()) <= 0)
                in_.fail(
                    at, in_.at() - at, "that is an outside corner: nothing stands in it",
                    fmt::format("say it like: against wall {}, 6 from left corner", walls[i].name));
            add(Tie::Kind::inCorner).of = corner;
        } else if (in_.take({"gap"})) {
            const auto d = in_.length("the gap");
            for (auto& t : out_.ties)
                if (t.kind == Tie::Kind::against)
                    t.distance = d;
            if (std::none_of(out_.ties.begin(), out_.ties.end(),
                             [](const Tie& t) { return t.kind == Tie::Kind::against; }))
                in_.fail(at, in_.at() - at, "a gap from what?",
                         "say it after “against wall C”, or say “3 from wall C”");
        } else if (in_.take({"turned"})) {
            turnedBy();
        } else if (in_.take({"square to", "square with"})) {
            auto& tie = add(Tie::Kind::squareTo);
            tie.of = in_.target();
            wants(
                tie.of, at,
                {Is::piece, Is::wall, Is::window, Is::door, Is::opening, Is::chimney, Is::fixture},
                "square to");
        } else if (in_.take({"facing", "face"})) {
            auto& tie = add(Tie::Kind::facing);
            tie.of = in_.target();
            notItself(tie.of, at);
        } else if (in_.take({"centred between", "centered between", "between"})) {
            auto& tie = add(Tie::Kind::centredBetween);
            tie.of = in_.target();
            in_.take({"and"});
            tie.also = in_.target();
            notItself(tie.of, at);
            notItself(tie.also, at);
        } else if (in_.take({"centred on", "centered on", "centred under", "centred in",
                             "centered in", "centred", "centered"})) {
            centred(at);
        } else if (in_.take({"under the front legs of", "under front legs of",
                             "under the front legs", "under front legs", "with the front legs of",
                             "with front legs of", "front legs of", "front legs on",
                             "with the front legs on", "with front legs on"})) {
            frontLegs(at);
        } else if (in_.take({"under"})) {
            under(at);
        } else if (in_.take({"over"})) {
            if (!subject_.kind->underCeiling())
                in_.fail(at, 4, standsOnFloor(), standsHow);
            centred(at);
        } else if (in_.take({"at"})) {
            place(at);
        } else if (in_.take({"called", "named"})) {
            out_.nameAt = in_.at();
            out_.name = in_.name();
        } else if (in_.take({"finished back", "with a finished back", "back finished"})) {
            out_.finishedBack = true;
        } else if (in_.take({"bare back", "back bare"})) {
            out_.finishedBack = false;
        } else if (in_.take({"costs", "cost"})) {
            const std::size_t here = in_.at();
            const double price = in_.number("the cost");
            if (price < 0)
                in_.fail(here, in_.at() - here, "nothing costs less than nothing",
                         "say it like: costs 1200");
            out_.cost = price;
        } else if (in_.take({"because"})) {
            out_.reason = std::string(trimmed(in_.rest()));
            in_.goTo(in_.at() + in_.rest().size());
        } else if (in_.take({"at place", "place"})) {
            auto& tie = add(Tie::Kind::atPlace);
            const std::size_t here = in_.at();
            const double place = in_.number("the place");
            if (!in_.take({"of"}))
                in_.failAhead("of how many places?", "say it like: place 2 of 6 at supper table");
            const double places = in_.number("the places");
            if (place < 1 || places > 60 || place > places || place != std::floor(place) ||
                places != std::floor(places))
                in_.fail(here, in_.at() - here, "there is no such place",
                         "say it like: place 2 of 6 at supper table");
            tie.place = static_cast<int>(place);
            tie.places = static_cast<int>(places);
            in_.take({"at", "of"});
            tie.of = in_.target();
            wants(tie.of, at, {Is::piece}, "place");
            const std::size_t after = in_.at();
            in_.comma();
            if (in_.take({"tucked"}))
                tie.distance = -in_.length("how far it is tucked in");
            else if (in_.take({"drawn"}))
                tie.distance = in_.length("how far it is drawn back");
            else
                in_.goTo(after);
        } else if (in_.take({"seat", "top", "arm"})) {
            in_.goTo(at);
            height();
        } else if (in_.take(
                       {"left", "right", "forward", "back", "toward", "towards", "away from"})) {
            in_.goTo(at);
            step(at, {});
        } else if (in_.take({"centre", "center"})) {
            const auto d = in_.length("the distance");
            from(d, MeasuredTo::centre, at);
        } else if (in_.lengthAhead()) {
            measured(at);
        } else {
            in_.offer("16 from ");
            in_.failAhead(fmt::format("I don't know “{}” here", in_.ahead()));
        }
    }

    /// The wall an opening is in.
    void toWall(Target& t) {
        for (const auto& o : in_.job().room->openings) {
            if (t == targetOf(o)) {
                t = wallTarget(o.wall);
                return;
            }
        }
    }

    /// The gap a piece keeps on a side when no number is said: the one it has, or none.
    Length standing() const {
        for (const auto& t : subject_.ties)
            if (t.kind == Tie::Kind::fromPiece)
                return t.distance;
        return {};
    }

    void measured(std::size_t at) {
        const auto d = in_.length("the distance");
        if (in_.take({"off"})) {
            auto& tie = add(Tie::Kind::against);
            tie.distance = d;
            tie.of = in_.target();
            if (tie.of.is != Target::Is::wall && tie.of.is != Target::Is::chimney &&
                tie.of.is != Target::Is::fixture)
                in_.fail(at, in_.at() - at, "“off” measures from a wall a piece stands against",
                         "say “from” instead");
            return;
        }
        const auto next = in_.ahead();
        if (next == "from")
            return from(d, MeasuredTo::edge, at);
        if (next == "toward" || next == "towards" || next == "away" || next == "forward" ||
            next == "back")
            return step(at, d);
        const std::size_t here = in_.at();
        if (in_.take({"in front of", "behind", "beside", "next to", "to the left of",
                      "to the right of", "left of", "right of"})) {
            in_.goTo(here);
            return side(d, true);
        }
        if (next == "left" || next == "right")
            return step(at, d);
        in_.take({"from", "in front of", "behind", "left of", "right of", "beside", "off", "toward",
                  "away from"});
        if (next == "above" || next == "below")
            in_.fail(here, next.size(), standsOnFloor(), standsHow);
        if (in_.done())
            in_.failAhead("this length measures to nothing",
                          "say what it is from, like “16 from sofa”");
        in_.failAhead(fmt::format("“{}” doesn't follow a length", next));
    }

    void from(Length d, MeasuredTo to, std::size_t at) {
        if (!in_.take({"from"}))
            in_.failAhead("“from” is missing here", "say it like: centre 30 from wall A");
        const auto t = in_.target();
        notItself(t, at);
        using Is = Target::Is;
        const auto kind = t.is == Is::piece    ? Tie::Kind::fromPiece
                          : t.is == Is::corner ? Tie::Kind::fromCorner
                                               : Tie::Kind::fromWall;
        if (t.is == Is::room)
            in_.fail(at, in_.at() - at, "a distance from the room has no direction",
                     "measure from a wall");
        auto& tie = add(kind);
        tie.of = t;
        tie.distance = d;
        tie.to = to;
        if (kind == Tie::Kind::fromCorner)
            alongItsWall(tie);
        if (kind == Tie::Kind::fromPiece)
            tie.side = standingSide(t);
        last_ = t;
    }

    /// "30 from corner AB" runs along the wall the piece stands against, when that is one of the
    /// two.
    void alongItsWall(Tie& tie) const {
        const int walls = static_cast<int>(in_.job().room->walls.size());
        const auto look = [&](const std::vector<Tie>& ties) {
            for (const auto& t : ties) {
                if (t.kind != Tie::Kind::against || t.of.is != Target::Is::wall)
                    continue;
                if (t.of.index == tie.of.index)
                    tie.of.alongNext = true;
                else if (t.of.index == (tie.of.index + walls - 1) % walls)
                    tie.of.alongNext = false;
            }
        };
        look(subject_.ties);
        look(out_.ties);
    }

    /// In front, unless the piece is tied to, or plainly lies on, another side of it.
    Side standingSide(const Target& t) const {
        for (const auto& old : subject_.ties)
            if (old.kind == Tie::Kind::fromPiece && old.of == t)
                return old.side;
        return Side::front;
    }

    void side(Length d, bool said) {
        const std::size_t at = in_.at();
        Side s = Side::front;
        bool beside = false;
        if (in_.take({"behind"}))
            s = Side::behind;
        else if (in_.take({"to the left of", "left of"}))
            s = Side::left;
        else if (in_.take({"to the right of", "right of"}))
            s = Side::right;
        else if (in_.take({"beside", "next to"}))
            beside = true;
        else
            in_.take({"in front of"});
        const auto t = in_.target();
        using Is = Target::Is;
        wants(t, at,
              {Is::piece, Is::wall, Is::window, Is::door, Is::opening, Is::chimney, Is::fixture},
              "beside");
        if (t.is != Is::piece) {
            if (s != Side::front || beside)
                in_.fail(at, in_.at() - at, "a wall has no side to stand on",
                         "say “24 from wall B” or “30 from corner AB”");
            auto& tie = add(Tie::Kind::fromWall);
            tie.of = t;
            tie.distance = d;
            auto& middle = add(Tie::Kind::centredOn);
            middle.of = t;
            return;
        }
        auto& tie = add(Tie::Kind::fromPiece);
        tie.of = t;
        tie.distance = said ? d : standing();
        tie.side = beside ? freerSide(t.piece) : s;
        last_ = t;
    }

    /// The side of a piece where this one fits, or is already.
    Side freerSide(int id) const {
        const Placed* other = scene_.inPlan(id);
        const Piece* piece = scene_.scheme->byId(id);
        if (const Placed* own = scene_.inPlan(subject_.id))
            return other->pose.toLocal(own->pose.at).x < 0 ? Side::left : Side::right;
        for (const Side s : {Side::right, Side::left}) {
            const double sign = s == Side::right ? 1 : -1;
            const double x = sign * (piece->size.width + subject_.size.width).mm() / 2;
            const Shape there =
                placed(subject_.shape(), {other->pose.toRoom({x, 0}), other->pose.turn});
            bool free = scene_.room->holds(there.centre);
            for (const auto& p : scene_.floor.placed)
                free = free && (p.id == id || scene_.scheme->byId(p.id)->kind->flat() ||
                                contains(p.shape, there.centre) == false);
            if (free)
                return s;
        }
        return Side::right;
    }

    void turnedBy() {
        auto& tie = add(Tie::Kind::turned);
        in_.article();
        if (in_.take({"quarter"})) {
            const bool left = in_.take({"left"});
            in_.take({"right", "turn"});
            tie.turn = Angle::degrees(left ? 270 : 90);
        } else if (in_.take({"half"})) {
            tie.turn = Angle::degrees(180);
        } else {
            tie.turn = Angle::degrees(in_.number("the turn")).normalised();
            in_.take({"degrees", "degree", "deg", "°"});
        }
    }

    void centred(std::size_t at) {
        auto& tie = add(Tie::Kind::centredOn);
        if (in_.done() || in_.rest().front() == ',') {
            if (last_.is == Target::Is::none)
                in_.fail(at, in_.at() - at, "centred on what?",
                         "name a wall, an opening or a piece");
            tie.of = last_;
        } else {
            tie.of = in_.target();
        }
        notItself(tie.of, at);
        if (tie.of.is == Target::Is::corner)
            in_.fail(at, in_.at() - at, "a corner has no middle", "say “in corner AB”");
        // ", 3 left" shifts it.
        const std::size_t here = in_.at();
        in_.comma();
        if (in_.lengthAhead()) {
            const auto d = in_.length("the offset");
            const std::size_t after = in_.at();
            const bool left = in_.take({"left"});
            if ((left || in_.take({"right"})) && in_.ahead() != "of") {
                tie.distance = left ? -d : d;
                return;
            }
            in_.goTo(after);
        }
        in_.goTo(here);
    }

    /// "front legs on", "under the front legs of sofa, 8 on".
    void frontLegs(std::size_t at) {
        in_.take({"of"});
        if (in_.done() || in_.ahead().empty()) {
            auto& tie = add(Tie::Kind::under);
            tie.group = seats(at);
            tie.distance = usualFrontLegs;
            return;
        }
        under(at);
        Tie* tie = nullptr;
        for (Tie& t : out_.ties)
            if (t.kind == Tie::Kind::under)
                tie = &t;
        if (tie == nullptr)
            in_.fail(at, in_.at() - at, "whose front legs?", "say it like: front legs of sofa");
        tie->distance = usualFrontLegs;
        const std::size_t here = in_.at();
        in_.take({"on"});
        in_.comma();
        if (in_.lengthAhead()) {
            const auto l = in_.length("how far on they stand");
            if (in_.take({"on"}) && l > Length{}) {
                tie->distance = l;
                return;
            }
        }
        in_.goTo(here);
        in_.take({"on"});
    }

    /// All upholstered seats there are; the longest first, since the others gather round it.
    std::vector<int> seats(std::size_t at) {
        std::vector<const Piece*> all;
        for (const auto& p : in_.scheme().pieces)
            if (p.id != subject_.id &&
                (p.kind->role == Role::sofa || p.kind->role == Role::armchair))
                all.push_back(&p);
        if (all.empty())
            in_.fail(at, in_.at() - at, "there are no seats yet", "place a sofa or a chair first");
        std::stable_sort(all.begin(), all.end(), [](const Piece* a, const Piece* b) {
            return a->size.width > b->size.width;
        });
        std::vector<int> out;
        for (const Piece* p : all)
            out.push_back(p->id);
        return out;
    }

    void under(std::size_t at) {
        if (in_.take({"the seats", "seats"})) {
            auto& tie = add(Tie::Kind::under);
            for (const auto& p : in_.scheme().pieces)
                if (p.id != subject_.id &&
                    (p.kind->role == Role::sofa || p.kind->role == Role::armchair))
                    tie.group.push_back(p.id);
            if (tie.group.empty())
                in_.fail(at, in_.at() - at, "there are no seats yet",
                         "place a sofa or a chair first");
            return;
        }
        const auto first = in_.target();
        if (first.is == Target::Is::window) {
            auto& tie = add(Tie::Kind::against);
            tie.of = first;
            toWall(tie.of);
            add(Tie::Kind::centredOn).of = first;
            return;
        }
        wants(first, at, {Target::Is::piece}, "under");
        std::vector<int> group{first.piece};
        for (;;) {
            const std::size_t here = in_.at();
            in_.comma();
            in_.take({"and"});
            const int id = in_.done() ? 0 : in_.piece();
            if (id == 0) {
                in_.goTo(here);
                break;
            }
            if (id == subject_.id)
                in_.fail(here, in_.at() - here,
                         fmt::format("{} can't be placed by itself", subject_.name),
                         "name another piece");
            group.push_back(id);
        }
        add(Tie::Kind::under).group = group;
    }

    /// "at 6' 2", 4' 0"" is a place; "at 14' 8" from wall E, 8' 2" from wall A" measures centres.
    void place(std::size_t at) {
        const auto x = in_.length("the place");
        if (in_.ahead() == "from") {
            from(x, MeasuredTo::centre, at);
            const std::size_t here = in_.at();
            if (in_.comma()) {
                in_.take({"and", "at"});
                if (in_.lengthAhead()) {
                    const auto y = in_.length("the place");
                    if (in_.ahead() == "from")
                        return from(y, MeasuredTo::centre, at);
                }
            }
            in_.goTo(here);
            return;
        }
        if (!in_.comma() && !in_.take({"by", "x", "and"}))
            in_.failAhead("a place has two figures", "say it like: at 6' 2\", 4' 0\"");
        auto& tie = add(Tie::Kind::at);
        tie.distance = x;
        tie.second = in_.length("the place");
    }

    void height() {
        const bool seat = in_.take({"seat"});
        const bool top = !seat && in_.take({"top"});
        if (!seat && !top)
            in_.take({"arm"});
        in_.take({"height"});
        const std::size_t at = in_.at();
        const auto h = in_.length("the height");
        if (h <= Length{} || h > Length::metres(5))
            in_.fail(at, in_.at() - at, "no piece has that height",
                     "check the figure and its unit");
        in_.take({"high"});
        (seat ? out_.heights.seat : top ? out_.heights.top : out_.heights.arm) = h;
    }

    /// "left 6", "6 left", "6 toward wall A": a step, along the piece's own sides or to something.
    void step(std::size_t at, std::optional<Length> d) {
        const Placed* own = scene_.byId(subject_.id);
        if (own == nullptr)
            in_.fail(at, in_.rest().size(), "a new piece has no place to be moved from",
                     "say where it goes, like “against wall A”");
        const auto w = in_.word();
        Vec2 way;
        if (w == "toward" || w == "towards" || w == "away") {
            if (w == "away" && !in_.take({"from"}))
                in_.failAhead("away from what?", "say it like: 6 away from wall A");
            const auto t = in_.target();
            notItself(t, at);
            const Placed* seen = scene_.inPlan(subject_.id);
            if (seen == nullptr)
                in_.fail(at, in_.at() - at, "that is not on its board",
                         "say it along the board, like: 2 left");
            // What stands on a top is moved along that, however it is turned.
            way = turned(wayTo(t, *seen, scene_), own->pose.turn - seen->pose.turn) *
                  (w == "away" ? -1 : 1);
        } else {
            way = w == "left"    ? -own->pose.right()
                  : w == "right" ? own->pose.right()
                  : w == "back"  ? -own->pose.front()
                                 : own->pose.front();
        }
        if (!d)
            d = in_.length("the step");
        out_.step = out_.step.value_or(Vec2{}) + way * d->mm();
    }

    WordsReader& in_;
    const Piece& subject_;
    const Scene& scene_;
    Placement out_;
    Target last_;
};

} // namespace

Placement readPlacement(WordsReader& words, const Piece& subject, const Scene& scene) {
    return PlacementReader(words, subject, scene).read();
}

} // namespace mezzet
