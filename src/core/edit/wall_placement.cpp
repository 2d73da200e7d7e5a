// Where a piece goes on a wall, and how it is held there.
#include "edit/words_reader.h"
#include "measure/text.h"
#include "scheme/on_wall.h"

#include <fmt/format.h>

#include <algorithm>

namespace mezzet {

namespace {

class WallPlacementReader {
public:
    WallPlacementReader(WordsReader& words, const Piece& subject, const Scene& scene,
                        SurfaceId lookedAt)
        : in_(words), subject_(subject), scene_(scene), hanging_(subject.hanging),
          lookedAt_(lookedAt) {
        if (subject.onWall())
            wall_ = subject.wall();
    }

    Placement read() {
        while (!in_.done()) {
            if (in_.comma() || in_.take({"and", "then", "is", "to", "hung", "hang"}))
                continue;
            clause();
        }
        settleWall();
        if (hanging_ != subject_.hanging)
            out_.hanging = hanging_;
        return out_;
    }

private:
    using Is = Target::Is;

    Tie& add(Tie::Kind kind) {
        Tie t;
        t.kind = kind;
        out_.ties.push_back(t);
        return out_.ties.back();
    }

    Target target(std::size_t at) {
        const auto t = in_.target();
        if (t.is == Is::piece && t.piece == subject_.id)
            in_.fail(at, in_.at() - at, fmt::format("{} can't be placed by itself", subject_.name),
                     "name another piece");
        last_ = t;
        return t;
    }

    void clause() {
        in_.article();
        const std::size_t at = in_.at();
        if (in_.take({"on wall", "on the wall", "against wall"})) {
            in_.goTo(at);
            in_.take({"on the", "on", "against"});
            const auto t = in_.target(false);
            saidWall_ = t.index;
        } else if (in_.take({"at eye level", "at eye height", "in the eye band", "eye level"})) {
            add(Tie::Kind::eyeLevel).distance =
                eyeLevel(*in_.job().library.book, in_.job().judgement);
            if (in_.take({"over", "above"}))
                out_.ties.back().of = stairs(at);
        } else if (in_.take({"centred between", "centered between", "between"})) {
            auto& tie = add(Tie::Kind::centredBetween);
            const std::size_t here = out_.ties.size() - 1;
            tie.of = sideOr(at);
            in_.take({"and"});
            const auto also = sideOr(at);
            out_.ties[here].also = also;
        } else if (in_.take({"centred at", "centered at", "centre at", "center at"})) {
            height(Level::centre, at);
        } else if (in_.take({"bottom at", "foot at"})) {
            height(Level::bottom, at);
        } else if (in_.take({"top at", "head at"})) {
            height(Level::top, at);
        } else if (in_.take({"centred on", "centered on", "centred in", "centered in", "centred",
                             "centered"})) {
            centred(at);
        } else if (in_.take({"top", "bottom", "foot", "centre", "center", "level"})) {
            in_.goTo(at);
            levelOrMeasured(at);
        } else if (in_.take({"above", "below", "under"})) {
            in_.goTo(at);
            const bool over = in_.take({"above"});
            if (!over)
                in_.take({"below", "under"});
            auto& tie = add(over ? Tie::Kind::above : Tie::Kind::below);
            tie.distance = over ? usualAbove() : Length{};
            const std::size_t here = out_.ties.size() - 1;
            const auto of = target(at);
            out_.ties[here].of = of;
        } else if (in_.take({"leaned on", "leaning on", "leaned against", "standing on"})) {
            hanging_.mount = Mount::leaned;
            if (in_.take({"the floor", "floor"})) {
                auto& tie = add(Tie::Kind::height);
                tie.level = Level::bottom;
            } else {
                const auto of = target(at);
                add(Tie::Kind::above).of = of;
            }
        } else if (in_.take({"beside", "next to", "left of", "right of", "to the left of",
                             "to the right of"})) {
            in_.goTo(at);
            beside(standing());
        } else if (in_.take({"at"})) {
            place();
        } else if (in_.take({"turned"})) {
            add(Tie::Kind::turned).turn = Angle::degrees(in_.number("the turn")).normalised();
            in_.take({"degrees", "degree", "deg", "°"});
        } else if (in_.take({"called", "named"})) {
            out_.nameAt = in_.at();
            out_.name = in_.name();
        } else if (in_.take({"costs", "cost"})) {
            const double price = in_.number("the cost");
            if (price < 0)
                in_.fail(at, in_.at() - at, "nothing costs less than nothing",
                         "say it like: costs 1200");
            out_.cost = price;
        } else if (in_.take({"because"})) {
            out_.reason = std::string(trimmed(in_.rest()));
            in_.goTo(in_.at() + in_.rest().size());
        } else if (in_.take({"left", "right", "up", "down", "higher", "lower"})) {
            in_.goTo(at);
            step({});
        } else if (in_.take({"showing"})) {
            showing();
        } else if (readHardware(in_, hanging_)) {
            // taken
        } else if (in_.lengthAhead()) {
            measured(at);
        } else {
            in_.offer("6 above ");
            in_.failAhead(fmt::format("I don't know “{}” here", in_.ahead()));
        }
    }

    /// A picture of the job, by its key.
    void showing() {
        const std::size_t word = in_.at();
        const auto key = in_.name();
        const auto& all = in_.job().pictures;
        if (!all || all->count(key) == 0)
            in_.fail(word, key.size(), fmt::format("the job has no picture “{}”", key),
                     "put the file into the job first");
        out_.picture = key;
    }

    // ---- where it goes ----

    void height(Level level, std::size_t at) {
        const auto d = in_.length("the height");
        auto& tie = add(Tie::Kind::height);
        tie.level = level;
        tie.distance = d;
        const std::size_t here = out_.ties.size() - 1;
        if (in_.take({"over", "above"}))
            out_.ties[here].of = stairs(at);
    }

    Target stairs(std::size_t at) {
        in_.article();
        in_.take({"nosing", "nosings", "nosing line", "nosings of"});
        for (const Fixture& f : scene_.room->fixtures)
            if (f.kind == FixtureKind::stairs &&
                (in_.take({"stairs", "stair"}) || in_.done() || in_.rest().front() == ','))
                return targetOf(f);
        in_.fail(at, in_.at() - at, "only a stair's nosing line is hung over like this",
                 "say it like: centre 60 over stairs");
    }

    void centred(std::size_t at) {
        auto& tie = add(Tie::Kind::centredOn);
        const std::size_t i = out_.ties.size() - 1;
        if (in_.done() || in_.rest().front() == ',') {
            if (last_.is == Is::none)
                in_.fail(at, in_.at() - at, "centred on what?",
                         "name a wall, an opening or a piece");
            tie.of = last_;
        } else {
            const auto of = target(at);
            out_.ties[i].of = of;
        }
        if (out_.ties[i].of.is == Is::corner)
            in_.fail(at, in_.at() - at, "a corner has no middle", "say “20 from left corner”");
        const std::size_t here = in_.at();
        in_.comma();
        if (in_.lengthAhead()) {
            const auto d = in_.length("the offset");
            const bool left = in_.take({"left"});
            if ((left || in_.take({"right"})) && in_.ahead() != "of") {
                out_.ties[i].distance = left ? -d : d;
                return;
            }
        }
        in_.goTo(here);
    }

    static Level levelFor(std::string_view word) {
        return word == "top"                        ? Level::top
               : word == "bottom" || word == "foot" ? Level::bottom
                                                    : Level::centre;
    }

    /// "top with window 1", "bottom with top of shelf, 2 higher", "level with mirror", "centre 30
    /// from left corner".
    void levelOrMeasured(std::size_t at) {
        const Level own = levelFor(in_.word());
        if (own == Level::centre && in_.lengthAhead()) {
            const auto d = in_.length("the distance");
            if (in_.take({"over", "above"})) {
                auto& tie = add(Tie::Kind::height);
                tie.distance = d;
                const std::size_t i = out_.ties.size() - 1;
                out_.ties[i].of = stairs(at);
                return;
            }
            return from(d, MeasuredTo::centre, at);
        }
        if (in_.lengthAhead()) { // "bottom 60 over stairs"
            const auto d = in_.length("the height");
            auto& tie = add(Tie::Kind::height);
            tie.level = own;
            tie.distance = d;
            const std::size_t i = out_.ties.size() - 1;
            if (!in_.take({"over", "above"}))
                in_.failAhead("over what?", "say it like: bottom 48 over stairs");
            out_.ties[i].of = stairs(at);
            return;
        }
        in_.take({"level", "in line"});
        if (!in_.take({"with", "on"}))
            in_.failAhead("“with” is missing here", "say it like: top with window 1");
        auto& tie = add(Tie::Kind::levelWith);
        tie.level = tie.levelOf = own;
        const std::size_t i = out_.ties.size() - 1;
        in_.article();
        const std::size_t other = in_.at();
        if (in_.take({"top of", "bottom of", "foot of", "centre of", "center of", "head of",
                      "sill of"})) {
            in_.goTo(other);
            const auto w = in_.word();
            out_.ties[i].levelOf = w == "head"   ? Level::top
                                   : w == "sill" ? Level::bottom
                                                 : levelFor(w);
            in_.take({"of"});
        }
        const auto of = target(at);
        out_.ties[i].of = of;
        const std::size_t here = in_.at();
        in_.comma();
        if (in_.lengthAhead()) {
            const auto d = in_.length("the offset");
            const bool down = in_.take({"lower", "down"});
            if (down || in_.take({"higher", "up"})) {
                out_.ties[i].distance = down ? -d : d;
                return;
            }
        }
        in_.goTo(here);
    }

    void measured(std::size_t at) {
        const auto d = in_.length("the distance");
        const std::size_t here = in_.at();
        if (in_.take({"above", "over"}))
            return overOrUnder(Tie::Kind::above, d, at);
        if (in_.take({"below", "under"}))
            return overOrUnder(Tie::Kind::below, d, at);
        if (in_.take({"from"})) {
            in_.goTo(here);
            return from(d, MeasuredTo::edge, at);
        }
        if (in_.take({"left of", "right of", "to the left of", "to the right of", "beside",
                      "next to"})) {
            in_.goTo(here);
            return beside(d);
        }
        if (in_.take({"left", "right", "up", "down", "higher", "lower"})) {
            in_.goTo(here);
            return step(d);
        }
        if (in_.take({"off"}))
            in_.fail(here, 3, "how far a piece stands off its wall is its depth",
                     "say the size instead, like: size mirror 24 x 36 x 2");
        if (in_.done())
            in_.failAhead("this length measures to nothing",
                          "say what it is from, like “6 above sofa”");
        in_.failAhead(fmt::format("“{}” doesn't follow a length", in_.ahead()));
    }

    void overOrUnder(Tie::Kind kind, Length d, std::size_t at) {
        add(kind).distance = d;
        const std::size_t i = out_.ties.size() - 1;
        const auto of = target(at);
        if (of.is == Is::fixture && of.built == FixtureKind::stairs) {
            out_.ties[i].kind = Tie::Kind::height;
            out_.ties[i].level = kind == Tie::Kind::above ? Level::bottom : Level::top;
        }
        out_.ties[i].of = of;
    }

    /// "left corner" and "right corner" wait until the wall is known.
    Target sideOr(std::size_t at) {
        in_.article();
        if (in_.take({"left corner", "left end"}))
            return corner(true);
        if (in_.take({"right corner", "right end"}))
            return corner(false);
        return target(at);
    }
    static Target corner(bool left) {
        Target t;
        t.is = Is::corner;
        t.index = left ? leftCorner : rightCorner;
        return t;
    }

    void from(Length d, MeasuredTo to, std::size_t at) {
        if (!in_.take({"from"}))
            in_.failAhead("“from” is missing here", "say it like: centre 30 from left corner");
        in_.article();
        if (in_.take({"floor", "the floor"})) {
            auto& tie = add(Tie::Kind::height);
            tie.level = to == MeasuredTo::centre ? Level::centre : Level::bottom;
            tie.distance = d;
            return;
        }
        const Target t = sideOr(at);
        if (t.is == Is::ceiling) {
            auto& tie = add(Tie::Kind::below);
            tie.of = t;
            tie.distance = d;
            return;
        }
        if (t.is == Is::piece || t.is == Is::window || t.is == Is::door || t.is == Is::opening ||
            t.is == Is::chimney || t.is == Is::fixture) {
            auto& tie = add(Tie::Kind::fromPiece);
            tie.of = t;
            tie.distance = d;
            tie.side = nearerSide(t);
            return;
        }
        if (t.is != Is::corner && t.is != Is::wall)
            in_.fail(at, in_.at() - at, "a distance from that has no direction",
                     "measure from a corner, an opening or a piece");
        auto& tie = add(Tie::Kind::fromCorner);
        tie.of = t;
        tie.distance = d;
        tie.to = to;
    }

    void beside(Length d) {
        const std::size_t at = in_.at();
        const bool left = in_.take({"to the left of", "left of"});
        const bool right = !left && in_.take({"to the right of", "right of"});
        if (!left && !right)
            in_.take({"beside", "next to"});
        auto& tie = add(Tie::Kind::fromPiece);
        tie.distance = d;
        const std::size_t i = out_.ties.size() - 1;
        const auto of = target(at);
        out_.ties[i].of = of;
        out_.ties[i].side = left ? Side::left : right ? Side::right : nearerSide(of);
    }

    /// The side of something the piece is at; the right of it for a new one.
    Side nearerSide(const Target& t) const {
        const Placed* own = scene_.byId(subject_.id);
        if (own == nullptr || !wall_)
            return Side::right;
        const auto b = boxOn(t, *wall_, scene_);
        return b && own->pose.at.x < b->centre().x ? Side::left : Side::right;
    }

    Length standing() const {
        for (const auto& t : subject_.ties)
            if (t.kind == Tie::Kind::fromPiece)
                return t.distance;
        return Length::inches(6);
    }

    /// The nearest the job's school hangs over furniture, in the middle of its band.
    Length usualAbove() const {
        const Rule* r = in_.job().library.book->byId("art-above");
        if (r == nullptr)
            return {};
        const Band b = in_.job().judgement.bandOf(*r);
        return Length::millimetres((b.low.value_or(0) + b.high.value_or(b.low.value_or(0))) / 2);
    }

    /// "at 6' 2", 4' 10"": along the wall and up.
    void place() {
        const auto x = in_.length("the place");
        if (in_.ahead() == "from")
            return from(x, MeasuredTo::centre, in_.at());
        if (!in_.comma() && !in_.take({"by", "x", "and"})) {
            auto& tie = add(Tie::Kind::height); // "at 58" is a height
            tie.distance = x;
            return;
        }
        auto& tie = add(Tie::Kind::at);
        tie.distance = x;
        tie.second = in_.length("the height");
    }

    void step(std::optional<Length> d) {
        const std::size_t at = in_.at();
        if (scene_.byId(subject_.id) == nullptr)
            in_.fail(at, in_.rest().size(), "a new piece has no place to be moved from",
                     "say where it goes, like “centred on sofa”");
        const auto w = in_.word();
        const Vec2 way = w == "left"                  ? Vec2{-1, 0}
                         : w == "right"               ? Vec2{1, 0}
                         : w == "up" || w == "higher" ? Vec2{0, 1}
                                                      : Vec2{0, -1};
        if (!d)
            d = in_.length("the step");
        out_.step = out_.step.value_or(Vec2{}) + way * d->mm();
    }

    // ---- which wall ----

    std::optional<int> wallOf(const Target& t) const {
        switch (t.is) {
        case Is::piece:
            return wallBehind(scene_, t.piece);
        case Is::wall:
            return t.index;
        case Is::window:
        case Is::door:
        case Is::opening:
            for (const Opening& o : scene_.room->openings)
                if (t == targetOf(o))
                    return o.wall;
            return {};
        case Is::chimney:
        case Is::fixture: {
            const Fixture* f = fixtureOf(*scene_.room, t);
            return f != nullptr ? std::optional(f->wall) : std::nullopt;
        }
        case Is::none:
        case Is::corner:
        case Is::room:
        case Is::ceiling:
        case Is::skirting:
        case Is::chairRail:
        case Is::pictureRail:
            return {};
        }
        return {};
    }

    /// The wall that is said; else the one it is on; else that of what it is tied to.
    void settleWall() {
        if (saidWall_)
            wall_ = saidWall_;
        for (const Tie& t : out_.ties)
            if (!wall_)
                wall_ = wallOf(t.of);
        if (!wall_ && lookedAt_.isWall())
            wall_ = lookedAt_.wall();
        out_.wall = wall_;
        if (!wall_)
            return;
        const int wall = *wall_;
        const int count = static_cast<int>(scene_.room->walls.size());
        const auto known = [&](Target& t) {
            if (t.is == Is::corner && t.index == leftCorner)
                t.index = wall;
            else if (t.is == Is::corner && t.index == rightCorner)
                t.index = count > 0 ? (wall + 1) % count : 0;
        };
        for (Tie& t : out_.ties) {
            known(t.of);
            known(t.also);
            // "20 from wall B" on wall C is from the corner the two share.
            const bool next = t.of.index == (wall + 1) % count;
            const bool before = t.of.index == (wall + count - 1) % count;
            if (t.kind == Tie::Kind::fromCorner && t.of.is == Is::wall && (next || before)) {
                t.of.is = Is::corner;
                t.of.index = next ? t.of.index : wall;
            }
        }
    }

    static constexpr int leftCorner = 100000;
    static constexpr int rightCorner = 100001;

    WordsReader& in_;
    const Piece& subject_;
    const Scene& scene_;
    Hanging hanging_;
    Placement out_;
    Target last_;
    std::optional<int> wall_;
    std::optional<int> saidWall_;
    SurfaceId lookedAt_;
};

} // namespace

Placement readWallPlacement(WordsReader& words, const Piece& subject, const Scene& scene,
                            SurfaceId lookedAt) {
    return WallPlacementReader(words, subject, scene, lookedAt).read();
}

} // namespace mezzet
