#include "edit/surface_words.h"

#include "scheme/surfaces.h"

#include <fmt/format.h>

#include <algorithm>
#include <cmath>

namespace mezzet {

namespace {

class SurfaceReader {
public:
    SurfaceReader(WordsReader& in, const Piece& subject, const Scene& scene, Placement& out)
        : in_(in), subject_(subject), scene_(scene), out_(out), start_(in.at()) {}

    bool read() {
        if (subject_.kind->underCeiling())
            return drop() || back();
        if (!subject_.kind->standsOn())
            return false;
        return onBoard() || alongBoard() || back();
    }

private:
    bool back() {
        in_.goTo(start_);
        return false;
    }
    Tie& add(Tie::Kind kind) {
        Tie t;
        t.kind = kind;
        out_.ties.push_back(t);
        return out_.ties.back();
    }
    [[nodiscard]] SurfaceId now() const { return out_.on.value_or(subject_.on); }
    [[nodiscard]] const Piece& named(int id) const { return *scene_.scheme->byId(id); }

    void put(SurfaceId on) {
        Piece there = subject_;
        there.on = on;
        if (there.name.empty())
            there.name = there.kind->name;
        if (auto problem = noSuchSurface(there, *scene_.room, *scene_.scheme))
            in_.fail(start_, in_.at() - start_, problem->what, problem->remedy);
        out_.on = on;
    }

    /// "on the floor", "on top of console", "in opening 2 of bookcase", "on shelf 2 of bookcase".
    bool onBoard() {
        if (in_.take({"on the floor", "on floor"})) {
            put(theFloor());
            return true;
        }
        const bool shelf = in_.take({"on shelf", "in shelf"});
        if (shelf || in_.take({"in opening", "in the opening"})) {
            const std::size_t at = in_.at();
            const double number = in_.number("the opening");
            if (number < 1 || number > 10000 || number != std::floor(number))
                in_.fail(at, in_.at() - at, "there is no such opening",
                         "they are counted from the left, row by row from the foot");
            in_.take({"of", "in"});
            const int id = in_.piece();
            if (id == 0)
                in_.failAhead("of which piece?", "say it like: in opening 2 of bookcase");
            put(inOpening(id, static_cast<int>(number)));
            return true;
        }
        if (in_.take({"on top of", "on"})) {
            in_.article();
            const int id = in_.piece();
            if (id == 0)
                in_.failAhead("on what?", "name a table, a chest or a shelf, like: on console");
            put(onTop(id));
            return true;
        }
        if (in_.ahead() != "in" || !in_.take({"in"}))
            return back();
        in_.article();
        const int id = in_.piece();
        if (id == 0 || named(id).kind->openings.count() == 0)
            return back();
        in_.fail(start_, in_.at() - start_,
                 fmt::format("which of the {} openings of {}?", named(id).kind->openings.count(),
                             named(id).name),
                 fmt::format("say it like: in opening 1 of {}; they are counted from the left, row "
                             "by row from the foot",
                             named(id).name));
    }

    /// "4 from left end", "centre 4 from the front edge".
    bool alongBoard() {
        if (!now().isCarried())
            return false;
        const bool centre = in_.take({"centre", "center"});
        if (!in_.lengthAhead())
            return back();
        const Length d = in_.length("the distance");
        if (!in_.take({"from"}))
            return back();
        in_.article();
        const std::pair<const char*, Side> edges[] = {
            {"left end", Side::left},    {"right end", Side::right}, {"front edge", Side::front},
            {"back edge", Side::behind}, {"front", Side::front},     {"back", Side::behind}};
        for (const auto& [word, side] : edges)
            if (in_.take({std::string_view(word)})) {
                Tie& t = add(Tie::Kind::fromEdge);
                t.side = side;
                t.distance = d;
                t.to = centre ? MeasuredTo::centre : MeasuredTo::edge;
                return true;
            }
        return back();
    }

    /// "bottom at 7'", "33 above supper table", "bottom 33 above supper table", "12 below ceiling".
    bool drop() {
        if (in_.take(
                {"close to the ceiling", "close to ceiling", "flush with the ceiling", "flush"})) {
            add(Tie::Kind::below).of.is = Target::Is::ceiling;
            return true;
        }
        const bool bottom = in_.take({"bottom", "underside"});
        const bool top = !bottom && in_.take({"top"});
        if ((bottom || top) && in_.take({"at"})) {
            Tie& t = add(Tie::Kind::height);
            t.level = bottom ? Level::bottom : Level::top;
            t.distance = in_.length("how high it hangs");
            in_.take({"up", "over the floor", "above the floor"});
            return true;
        }
        if (!in_.lengthAhead())
            return back();
        const Length d = in_.length("the distance");
        const std::size_t at = in_.at();
        if (in_.take({"above", "over"})) {
            const Target of = in_.target();
            if (of.is != Target::Is::piece)
                in_.fail(at, in_.at() - at, "only over a piece can that be said",
                         "say it like: 33 above supper table, or: bottom at 84");
            if (top)
                in_.fail(start_, at - start_, "its underside is what hangs over a thing",
                         "say it like: 33 above supper table");
            Tie& t = add(Tie::Kind::above);
            t.of = of;
            t.distance = d;
            return true;
        }
        if (in_.take({"below", "under"})) {
            in_.article();
            if (!in_.take({"ceiling"}))
                in_.failAhead("below what?", "say it like: 12 below ceiling");
            Tie& t = add(Tie::Kind::below);
            t.of.is = Target::Is::ceiling;
            t.distance = d;
            return true;
        }
        return back();
    }

    WordsReader& in_;
    const Piece& subject_;
    const Scene& scene_;
    Placement& out_;
    std::size_t start_;
};

} // namespace

bool readSurface(WordsReader& in, const Piece& subject, const Scene& scene, Placement& out) {
    return SurfaceReader(in, subject, scene, out).read();
}

void settleSurface(Piece& p, Placement& said, const Scene& scene) {
    const bool isNew = p.id == 0;
    if (said.on && (isNew || *said.on != p.on)) {
        p.on = *said.on;
        if (p.on.isCarried()) {
            p.pose = {boardOf(*scene.scheme->byId(p.on.piece), p.on).centre(), {}};
            if (std::none_of(said.ties.begin(), said.ties.end(),
                             [](const Tie& t) { return t.fixesPlace(); })) {
                Tie middle;
                middle.kind = Tie::Kind::centredOn;
                middle.of = pieceTarget(p.on.piece);
                said.ties.push_back(middle);
            }
        } else if (!isNew && scene.fromAbove(p.id) != nullptr) {
            p.pose = scene.fromAbove(p.id)->pose; // it keeps its place in the room
        }
    }
    if (!isNew || !p.kind->underCeiling())
        return;
    p.on = theCeiling();
    if (p.kind->hangAt > Length{} && std::none_of(said.ties.begin(), said.ties.end(),
                                                  [](const Tie& t) { return t.fixesDrop(); })) {
        Tie high;
        high.kind = Tie::Kind::height;
        high.level = p.kind->hangBy;
        high.distance = p.kind->hangAt;
        said.ties.push_back(high);
    }
}

} // namespace mezzet
