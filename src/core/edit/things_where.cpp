// Where things go that are put on shelves and tables, as the line says it.
#include "edit/things_where.h"

#include "measure/texts.h"
#include "scheme/surfaces.h"

#include <algorithm>

namespace mezzet {

namespace {

/// Of several things that stand on each other the one on top, if they are one stack; else of
/// the one that was put last.
int topOf(const Scheme& scheme, const std::vector<int>& ids) {
    int top = 0;
    for (const int id : ids) {
        const Piece* p = scheme.byId(id);
        if (p == nullptr || !p->isThing())
            return 0;
        const bool carries = std::any_of(ids.begin(), ids.end(), [&](int other) {
            const Piece* o = scheme.byId(other);
            return o != nullptr && o->on == onTop(id);
        });
        if (!carries)
            top = std::max(top, id);
    }
    return top;
}

class WhereReader {
public:
    WhereReader(WordsReader& words, const Scene& scene, KindPtr kind)
        : in(words), scene_(scene), scheme_(words.scheme()), kind_(std::move(kind)) {}

    WhereSaid read() {
        readClauses();
        return said_;
    }

private:
    void readClauses() {
        while (!in.done()) {
            if (in.comma() || in.take({"and"}))
                continue;
            if (!clause())
                in.unknownAhead(worded("I don't know “{}” here", in.ahead()),
                                "say where, like: left of opening 2 of bookcase");
        }
    }

    bool clause() {
        if (in.take({"widest below", "widest at the bottom", "largest below", "biggest below",
                     "widest first"})) {
            // what is piled is so, unless its cover is the point
        } else if (in.take({"cover showing", "cover up", "the cover showing", "top cover showing",
                            "the top cover is the point"})) {
            said_.coverShows = true;
        } else if (in.take({"lying down", "lying", "flat", "on their sides", "on its side"})) {
            said_.lies = Lies::lying;
        } else if (in.take({"standing", "upright", "standing up"})) {
            said_.lies = Lies::standing;
        } else if (in.take({"leaning", "leaned"})) {
            said_.lies = Lies::leaning;
        } else if (in.take({"as a group", "grouped", "together"})) {
            said_.group = true;
        } else if (in.take(
                       {"jackets off", "jacket off", "without jackets", "without its jacket"})) {
            said_.jacketOff = true;
        } else if (in.take({"spines in", "spine in", "spines turned in", "spine turned in"})) {
            said_.spineIn = true;
        } else if (in.take({"covered in paper", "in paper", "papered"})) {
            said_.papered = true;
        } else if (in.take({"called", "named"})) {
            said_.name = in.name();
        } else if (in.endOf("one") > 0 && oneForward()) {
        } else if (in.lengthAhead()) {
            figure();
        } else {
            return place();
        }
        return true;
    }

    /// "one 2 forward"
    bool oneForward() {
        const std::size_t at = in.at();
        in.take({"one of them", "one"});
        if (!in.lengthAhead()) {
            in.goTo(at);
            return false;
        }
        const Length d = in.length("how far forward");
        if (!in.take({"forward", "forwards", "to the front"})) {
            in.goTo(at);
            return false;
        }
        said_.oneForward = d;
        return true;
    }

    /// "2 from left end", "1 forward", "2 left of vase", "3 apart"
    void figure() {
        const Length d = in.length("the distance");
        if (in.take({"forward", "forwards", "to the front"})) {
            said_.forward = d;
            return;
        }
        if (in.take({"apart"})) {
            said_.gap = d;
            return;
        }
        if (in.take({"from"})) {
            in.article();
            if (in.take({"left end", "left side", "left edge", "left"}))
                said_.fromLeft = d;
            else if (in.take({"right end", "right side", "right edge", "right"}))
                said_.fromRight = d;
            else if (in.take({"back edge", "back"}))
                said_.fromBack = d;
            else if (in.take({"front edge", "front"}))
                said_.fromFront = d;
            else
                in.failAhead("from which edge?", "say it like: 2 from left end");
            return;
        }
        said_.gap = d;
        if (!place())
            in.unknownAhead(worded("I don't know “{}” here", in.ahead()),
                            "say it like: 2 left of vase");
    }

    bool place() {
        // Sides of an opening: "left of opening 2", "at the back of opening 3".
        const std::size_t at = in.at();
        const bool led = in.take({"at", "to", "in", "on"});
        in.article();
        const auto sideOf = [&]() -> bool {
            if (in.take({"left end of", "left side of", "left of"}))
                said_.along = Along::left;
            else if (in.take({"right end of", "right side of", "right of"}))
                said_.along = Along::right;
            else if (in.take({"back of"}))
                said_.depth = Depth::back;
            else if (in.take({"front of"}))
                said_.depth = Depth::front;
            else if (in.take({"middle of", "centre of", "center of"}))
                said_.along = Along::middle;
            else
                return false;
            return true;
        };
        const WhereSaid before = said_;
        if (sideOf() && openingHere())
            return true;
        said_ = before;
        in.goTo(at);
        if (beside())
            return true;
        in.goTo(at);
        if (led) {
            in.take({"at", "to", "in", "on"});
            in.article();
        }
        if (openingHere())
            return true;
        // "on the left nightstand", of two: no side of a board.
        if (led && (in.endOf("left") > 0 || in.endOf("right") > 0)) {
            const std::size_t side = in.at();
            const std::size_t words = std::max(in.endOf("left"), in.endOf("right"));
            const int one = pieceHere();
            const bool named = one != 0 && in.at() > words;
            in.goTo(named ? at : side);
            if (named && in.take({"on top of", "on"})) {
                onWhat();
                return true;
            }
            in.goTo(side);
        }
        for (const auto& [words, along] :
             {std::pair{"left end", Along::left}, std::pair{"left", Along::left},
              std::pair{"right end", Along::right}, std::pair{"right", Along::right},
              std::pair{"middle", Along::middle}, std::pair{"centre", Along::middle},
              std::pair{"center", Along::middle}, std::pair{"centred", Along::middle},
              std::pair{"centered", Along::middle}})
            if (in.take({words})) {
                said_.along = along;
                return true;
            }
        for (const auto& [words, depth] :
             {std::pair{"back", Depth::back}, std::pair{"front", Depth::front}})
            if (led && in.take({words})) {
                said_.depth = depth;
                return true;
            }
        in.goTo(at);
        if (in.take({"on top of", "on"})) {
            onWhat();
            return true;
        }
        return false;
    }

    /// "either side of vase", "between vase and bowl", "in front of print"; nothing read for none.
    bool beside() {
        if (in.take({"either side of", "both sides of", "on either side of"})) {
            said_.eitherSide = true;
            said_.beside = reference("either side of what?");
            return true;
        }
        if (in.take({"between"})) {
            said_.beside = reference("between what?");
            if (!in.take({"and"}))
                in.failAhead("between that and what?", "say it like: between vase and bowl");
            said_.between = reference("between that and what?");
            return true;
        }
        for (const auto& [words, side] :
             {std::pair{"in front of", Side::front}, std::pair{"before", Side::front},
              std::pair{"behind", Side::behind}, std::pair{"to the left of", Side::left},
              std::pair{"left of", Side::left}, std::pair{"to the right of", Side::right},
              std::pair{"right of", Side::right}, std::pair{"beside", Side::right},
              std::pair{"next to", Side::right}})
            if (in.take({words})) {
                said_.side = side;
                said_.beside = reference("of what?");
                return true;
            }
        return false;
    }

    /// A piece that is named here; 0 for none.
    int pieceHere() {
        try {
            return in.piece();
        } catch (const LineFault&) {
            return 0;
        }
    }

    /// "opening 2", "opening 2 of bookcase", "shelf 3".
    bool openingHere() {
        const std::size_t at = in.at();
        if (!in.take({"opening", "shelf", "bay"}))
            return false;
        const std::size_t figure = in.at();
        int n = 0;
        if (!in.takeCount(n)) {
            in.goTo(at);
            return false;
        }
        int unit = 0;
        if (in.take({"of", "in"})) {
            in.article();
            unit = in.piece();
            if (unit == 0)
                in.failAhead("of which piece?", "say it like: opening 2 of bookcase");
        } else {
            unit = theUnit(at);
        }
        Piece there = pieceOf(scheme_.byId(unit)->kind);
        there.on = inOpening(unit, n);
        there.name = told("it");
        if (const auto problem = noSuchSurface(there, *scene_.room, scheme_))
            in.fail(figure, in.at() - figure, problem->what, problem->remedy);
        said_.on = inOpening(unit, n);
        return true;
    }

    /// The unit with openings that is spoken of, or the only one.
    int theUnit(std::size_t at) {
        std::vector<const Piece*> units;
        for (const Piece& p : scheme_.pieces)
            if (p.openings() > 0)
                units.push_back(&p);
        if (units.empty())
            in.fail(at, in.at() - at, "there is no piece with openings",
                    "add one first, like: bookcase against wall A");
        if (units.size() == 1)
            return units.front()->id;
        for (const int id : in.them())
            for (const Piece* p = scheme_.byId(id); p != nullptr;
                 p = p->on.isCarried() ? scheme_.byId(p->on.piece) : nullptr)
                if (p->openings() > 0)
                    return p->id;
        in.fail(at, in.at() - at, "an opening of which piece?",
                worded("say it like: opening 2 of {}", units.front()->name));
    }

    int reference(const char* what) {
        in.article();
        const int id = thingHere(in);
        if (id != 0)
            return id;
        const int any = in.piece();
        if (any == 0)
            in.failAhead(what, "name a thing that is there");
        if (!scheme_.byId(any)->on.isCarried())
            in.failAhead(worded("{} stands on no shelf or table", scheme_.byId(any)->name),
                         "name a thing that does");
        return any;
    }

    void onWhat() {
        const std::size_t at = in.at();
        const bool any = in.take({"a", "an"});
        in.article();
        const std::size_t noun = in.at();
        if (any && in.take({"riser", "glass riser"})) {
            said_.newRiser = true;
            return;
        }
        in.goTo(noun);
        if (const int thing = thingHere(in); thing != 0) {
            said_.on = onTop(thing);
            return;
        }
        const int id = in.piece();
        if (id == 0)
            in.failAhead("on what?", "name a table, a chest, a shelf or a thing, like: on console");
        Piece there = pieceOf(kind_ ? kind_ : scheme_.byId(id)->kind);
        there.on = onTop(id);
        there.name = told("it");
        if (const auto problem = noSuchSurface(there, *scene_.room, scheme_))
            in.fail(at, in.at() - at, problem->what, problem->remedy);
        said_.on = onTop(id);
    }

    WordsReader& in;
    const Scene& scene_;
    const Scheme& scheme_;
    KindPtr kind_; ///< of what is placed; null where several are
    WhereSaid said_;
};

} // namespace

int thingHere(WordsReader& in) {
    const Scheme& scheme = in.scheme();
    const std::size_t at = in.at();
    if (in.take({"it", "that", "them", "both", "these", "those"})) {
        if (const int top = topOf(scheme, in.them()); top != 0)
            return top;
        in.goTo(at);
        return 0;
    }
    try {
        const int id = in.piece();
        if (id != 0 && scheme.byId(id)->isThing())
            return id;
    } catch (const LineFault&) {
        in.goTo(at);
        try {
            const auto ids = in.pieces();
            if (const int top = topOf(scheme, ids); top != 0)
                return top;
        } catch (const LineFault&) {
            in.goTo(at);
        }
    }
    in.goTo(at);
    return 0;
}

int baseUnder(const Scheme& scheme, int id) {
    for (const Piece* p = scheme.byId(id); p != nullptr;) {
        const Piece* under = p->on.is == SurfaceId::Is::top ? scheme.byId(p->on.piece) : nullptr;
        if (under == nullptr || !under->isThing())
            return p->id;
        p = under;
    }
    return id;
}

WhereSaid readWhere(WordsReader& in, const Scene& scene, KindPtr kind) {
    return WhereReader(in, scene, std::move(kind)).read();
}

} // namespace mezzet
