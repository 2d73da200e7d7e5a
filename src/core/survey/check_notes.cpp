// What a reader of single lines can't see: whether all that was taped fits its wall and its room.
#include "measure/texts.h"
#include "survey/read_features.h"

#include <algorithm>

namespace mezzet {

namespace {

/// A tape slips by a quarter of an inch; more than that is a wrong figure.
constexpr Length slack = Length::inches(0.25);

struct Span {
    Length left;
    Length right;
    std::string name;
    NotePlace place;
};

class Checker {
public:
    explicit Checker(const TapeNotes& notes) : notes_(notes), shown_{notes.units, 16} {}

    std::optional<Problem> run() {
        for (const auto& w : notes_.walls)
            wall(w);
        for (const auto& c : notes_.columns)
            for (const auto& f : c.columnAt)
                known(f.wall, f.place);
        for (const auto& s : notes_.ceiling.slopes)
            slope(s);
        for (const auto& b : notes_.ceiling.beams) {
            known(b.at.wall, b.at.place);
            if (b.drop >= notes_.ceiling.height)
                say({"this beam hangs down to the floor", "check how deep it is"}, b.at.place);
        }
        for (const auto& s : notes_.steps)
            known(s.at.wall, s.at.place);
        if (notes_.ceiling.joists)
            known(notes_.ceiling.joists->wall, notes_.ceiling.place);
        for (const auto& d : notes_.diagonals)
            diagonal(d);
        return found_;
    }

private:
    void say(Problem p, NotePlace place) {
        if (found_)
            return;
        p.line = place.line;
        p.column = place.column;
        p.width = place.width;
        found_ = std::move(p);
    }

    void known(int wall, NotePlace place) {
        if (wall >= static_cast<int>(notes_.walls.size()))
            say({worded("there is no wall {}", wallName(wall)),
                 "name a wall of this room, or tape it first"},
                place);
    }

    void diagonal(const TapedDiagonal& d) {
        for (const int i : {d.from, d.to})
            if (i >= static_cast<int>(notes_.walls.size()))
                say({worded("there is no wall {}", wallName(i)),
                     "a corner is named by the wall that begins there"},
                    d.place);
    }

    void slope(const Slope& s) {
        known(s.wall, s.place);
        if (s.knee >= notes_.ceiling.height)
            say({worded("the knee of {} is as high as the ceiling, {}", write(s.knee, shown_),
                        write(notes_.ceiling.height, shown_)),
                 "check both heights"},
                s.place);
    }

    Span span(const TapedWall& w, const TapedPlace& at, Length width, std::string name,
              NotePlace place) {
        const Length left = at.on(w.run.value, width);
        if (at.both()) {
            const Length sum = at.left->value + width + at.right->value;
            const Length off = abs(sum - w.run.value);
            // A foot wrong is for the adjustment to find; more than that is another wall.
            if (off > std::max(Length::feet(4), w.run.value * 0.25))
                say({worded("the parts of wall {} make {}, and the wall is {}", w.name,
                            write(sum, shown_), write(w.run.value, shown_)),
                     "check where this is and how wide"},
                    place);
        } else if (left < -slack || left + width > w.run.value + slack) {
            const Length offset = at.left    ? at.left->value
                                  : at.right ? at.right->value
                                             : std::max(left, Length{});
            say({worded("this {} runs past the end of wall {}: {} and {} make {}, and the "
                        "wall is {}",
                        name, w.name, write(offset, shown_), write(width, shown_),
                        write(offset + width, shown_), write(w.run.value, shown_)),
                 "check its place, its width and the wall"},
                place);
        }
        return {left, left + width, std::move(name), place};
    }

    void wall(const TapedWall& w) {
        std::vector<Span> holes;
        for (const auto& o : w.openings) {
            const char* name = o.kind == OpeningKind::window ? "window"
                               : o.kind == OpeningKind::door ? "door"
                                                             : "opening";
            holes.push_back(span(w, o.at, o.width.value, name, o.place));
            if (o.sill + o.height > notes_.ceiling.height + slack)
                say({worded("the head of this {} is above the ceiling", name),
                     "check the sill, its height and the ceiling"},
                    o.place);
        }
        for (const auto& r : w.recesses) {
            const char* name = r.kind == RecessKind::alcove ? "alcove"
                               : r.kind == RecessKind::bay  ? "bay"
                                                            : "bow";
            holes.push_back(span(w, r.at, r.width.value, name, r.place));
        }
        std::vector<Span> standing;
        for (const auto& f : w.fixtures) {
            auto s = span(w, f.at, f.width.value, fixtureName(f.kind), f.place);
            if (f.up + f.height > notes_.ceiling.height + slack)
                say({worded("this {} reaches above the ceiling", fixtureName(f.kind)),
                     "check its heights and the ceiling"},
                    f.place);
            if (f.kind == FixtureKind::chimney || f.kind == FixtureKind::fireplace)
                holes.push_back(s);
            else if (f.kind == FixtureKind::builtIn || f.kind == FixtureKind::stairs)
                standing.push_back(s);
        }
        overlaps(holes);
        overlaps(standing);
        if (w.studs)
            for (const Length s : w.studs->each)
                if (s > w.run.value)
                    say({worded("a stud at {} lies past the end of wall {}, {} long",
                                write(s, shown_), w.name, write(w.run.value, shown_)),
                         "check the figure"},
                        w.place);
    }

    void overlaps(const std::vector<Span>& spans) {
        for (std::size_t i = 0; i < spans.size(); ++i) {
            for (std::size_t j = 0; j < i; ++j) {
                const auto over = std::min(spans[i].right, spans[j].right) -
                                  std::max(spans[i].left, spans[j].left);
                if (over > slack)
                    say({worded("this {} lies over the {} of line {}", spans[i].name, spans[j].name,
                                spans[j].place.line),
                         "check where each starts and how wide it is"},
                        spans[i].place);
            }
        }
    }

    const TapeNotes& notes_;
    Notation shown_;
    std::optional<Problem> found_;
};

} // namespace

std::optional<Problem> checkNotes(const TapeNotes& notes) {
    return Checker(notes).run();
}

} // namespace mezzet
