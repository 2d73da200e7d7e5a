// The lines that speak of what is at hand, of palettes and colours, and of what a box is to hold.
#include "edit/described.h"
#include "edit/things_said.h"
#include "measure/text.h"
#include "measure/texts.h"

#include <algorithm>

namespace mezzet {

namespace {

class DressingReader {
public:
    explicit DressingReader(WordsReader& words)
        : in(words), job_(words.job()), now_(words.scheme().dressing) {}

    std::optional<Edit> read() {
        if (auto e = holds())
            return e;
        return readVerb(*this, in, verbs());
    }

    static const std::vector<Verb<DressingReader>>& verbs() {
        static const std::vector<Verb<DressingReader>> all{
            {{{"stock"},
              "what is at hand: how many, their colour and kind, and sizes (height x depth x "
              "thickness of books, width x height of what is flat, width x depth x height of the "
              "rest)",
              "stock 12 cream books 9 x 6 x 1; stock brass bowl 10 dia x 5; stock remove brass "
              "bowl"},
             &DressingReader::stock},
            {{{"palette"},
              "the colours a scheme's shelves are dressed in: two main ones and an accent",
              "palette cream and navy, accent brass; palette none"},
             &DressingReader::palette},
            {{{"colour", "color", "paint"},
              "the colour of a piece, of walls, floor or ceiling",
              "colour walls sage; colour sofa navy"},
             &DressingReader::colour},
            {{{"no holes in", "no drilling in", "no nails in"},
              "walls that may not be drilled: what hangs there is told, with where it could lean",
              "no holes in wall A; no holes in any wall"},
             &DressingReader::noHoles},
            {{{"holes allowed in"}, "walls that may be drilled again", "holes allowed in wall A"},
             &DressingReader::holesAllowed},
        };
        return all;
    }

private:
    Edit planned(std::string words) {
        in.nothingMore();
        Edit e;
        e.words = std::move(words);
        e.acts.emplace_back(SetDressing{now_});
        return e;
    }

    Edit noHoles() { return holes(false); }
    Edit holesAllowed() { return holes(true); }

    /// After "no holes in": "wall A and wall B", "any wall".
    Edit holes(bool allowed) {
        const auto count = static_cast<int>(job_.room->walls.size());
        std::vector<int> said;
        if (in.take({"any wall", "the walls", "all walls", "all the walls", "every wall",
                     "any of the walls"})) {
            for (int w = 0; w < count; ++w)
                said.push_back(w);
        } else {
            do {
                const std::size_t at = in.at();
                const Target t = in.target(false);
                if (t.is != Target::Is::wall)
                    in.fail(at, std::max<std::size_t>(in.at() - at, 1), "that is no wall",
                            "say it like: no holes in wall A");
                said.push_back(t.index);
            } while (in.comma() || in.take({"and", "or", "nor"}));
        }
        auto& walls = now_.noHoles;
        for (const int w : said) {
            std::erase(walls, w);
            if (!allowed)
                walls.push_back(w);
        }
        std::sort(walls.begin(), walls.end());
        std::vector<std::string> names;
        for (const int w : said)
            names.push_back(worded("wall {}", wallName(w)));
        return planned(allowed ? worded("{} may be drilled", listed(names))
                               : worded("{} may not be drilled", listed(names)));
    }

    Edit stock() {
        Stock all = job_.stock ? *job_.stock : Stock{};
        Edit e;
        if (in.take({"remove", "delete", "forget"})) {
            in.article();
            const std::size_t at = in.at();
            for (const StockThing& t : all)
                in.offer(t.name);
            const auto said = std::string(trimmed(in.rest()));
            const auto plain = plainWord(said);
            const auto it = std::find_if(all.begin(), all.end(), [&](const StockThing& t) {
                return plainWord(t.name) == plain;
            });
            if (it == all.end())
                in.fail(at, std::max<std::size_t>(said.size(), 1),
                        worded("there is no “{}” in the stock", said), "name one that is there");
            in.goTo(at + in.rest().size());
            e.words = worded("no {} in the stock", it->name);
            all.erase(it);
            e.acts.emplace_back(SetStock{std::move(all)});
            return e;
        }
        const std::size_t at = in.at();
        const auto d = readDescribed(in, true);
        if (!d)
            in.failAhead("that is no kind of thing that stands on a shelf",
                         "say it like: stock 12 cream books 9 x 6 x 1");
        if (d->count > mostOfOne)
            in.fail(at, in.at() - at, worded("that is more than {} alike", mostOfOne), "say fewer");
        StockThing t;
        t.name = d->stock != nullptr ? d->stock->name
                 : d->count > 1      ? oneOf(d->name, *d->kind)
                                     : d->name;
        t.kind = d->kind;
        t.count = d->count;
        t.size = d->size.value_or(d->kind->size);
        t.colour = d->colour;
        t.material = d->material;
        t.finish = d->finish;
        while (!in.done()) {
            if (in.comma() || in.take({"and"}))
                continue;
            if (in.take({"with", "cloth", "under its jacket", "under the jacket"})) {
                t.colour2 = takeColour(in);
                in.take({"cloth", "under its jacket", "under the jacket", "lid"});
                if (!t.colour2)
                    in.failAhead("which colour?", "say it like: with navy cloth");
            } else if (in.take({"of"})) {
                t.material = takeMaterial(in);
                if (t.material.empty())
                    in.failAhead("of what?", "say a material like brass, wood or glass");
            } else if (auto finish = takeFinish(in); !finish.empty()) {
                t.finish = std::move(finish);
            } else if (in.take({"each"})) {
                continue;
            } else if (in.take({"called", "named"})) {
                t.name = in.name();
            } else if (in.lengthAhead()) {
                t.kilograms = in.mass("what one of them weighs").kg();
            } else if (const auto c = takeColour(in)) {
                t.colour = c;
            } else {
                in.nothingMore();
            }
        }
        if (characterCount(t.name) > 70)
            in.fail(at, in.at() - at, "its name is over 70 characters", "shorten it");
        e.words = t.count == 1 ? worded("{} in the stock", t.name)
                               : worded("{} of {} in the stock", t.count, t.name);
        all = withThing(std::move(all), std::move(t));
        if (all.size() > mostStock)
            in.fail(at, in.at() - at, worded("a stock has at most {} entries", mostStock),
                    "remove some");
        e.acts.emplace_back(SetStock{std::move(all)});
        return e;
    }

    Rgb colourNamed(const char* what) {
        const auto c = takeColour(in);
        constexpr const char* said = "say it like #b08d57, or in a plain word like cream or navy";
        if (!c && in.done())
            in.failAhead(what, said);
        if (!c)
            in.unknownAhead(what, said);
        return *c;
    }

    Edit palette() {
        in.take({"is", "of", ":"});
        if (in.take({"none", "off"})) {
            now_.families.clear();
            now_.accent.reset();
            return planned(std::string(told("no palette")));
        }
        Dressing next = now_;
        next.families.clear();
        next.accent.reset();
        std::vector<std::string> names;
        const std::size_t at = in.at();
        do {
            if (in.take({"accent", "with accent", "accents"})) {
                in.take({"of", "is"});
                next.accent = colourNamed("which accent?");
                continue;
            }
            if (in.done())
                break;
            const std::size_t word = in.at();
            next.families.push_back(colourNamed("that is no colour"));
            names.emplace_back(trimmed(in.since(word)));
            if (in.take({"accent", "as accent", "as the accent"})) {
                next.accent = next.families.back();
                next.families.pop_back();
                names.pop_back();
            }
        } while (in.comma() || in.take({"and", "with"}) || in.endOf("accent") > 0);
        if (next.families.empty())
            in.fail(at, std::max<std::size_t>(in.at() - at, 1), "a palette has a main colour",
                    "say it like: palette cream and navy, accent brass");
        if (next.families.size() > mostFamilies)
            in.fail(at, in.at() - at, worded("a palette has at most {} families", mostFamilies),
                    "two main ones and an accent are usual");
        now_ = next;
        return planned(next.accent ? worded("palette {}, and an accent", listed(names))
                                   : worded("palette {}", listed(names)));
    }

    /// "wall B navy", "walls A and C sage", "the window wall white"; nothing for what is no wall.
    std::optional<Edit> oneWall() {
        const std::size_t start = in.at();
        std::vector<int> walls;
        try {
            const auto count = static_cast<int>(job_.room->walls.size());
            const bool several = in.take({"walls"});
            do {
                const auto letter =
                    several && in.ahead().size() == 1 ? wallIndex(in.ahead()) : std::nullopt;
                if (letter)
                    in.word();
                const Target t = letter ? wallTarget(*letter) : in.target(false);
                if (t.is != Target::Is::wall || t.index >= count) {
                    in.goTo(start);
                    return {};
                }
                walls.push_back(t.index);
            } while (in.take({"and"}) || in.comma());
        } catch (const LineFault&) {
            in.goTo(start);
            return {};
        }
        in.take({"is", "are", "in", "only", "alone"});
        std::vector<std::string> names;
        for (const int w : walls)
            names.push_back(worded("wall {}", wallName(w)));
        if (isNone() ||
            in.take({"as the others", "like the others", "as the rest", "like the rest"})) {
            for (const int w : walls)
                now_.ownWalls.erase(w);
            return planned(worded("{} as the others", listed(names, "and")));
        }
        const Rgb c = colourNamed("which colour?");
        for (const int w : walls)
            now_.ownWalls[w] = c;
        return planned(worded("{} in {}", listed(names, "and"), colourWord(c)));
    }

    /// "none", "off"; "off white" is a colour.
    bool isNone() { return in.endOf("off white") == 0 && in.take({"none", "off", "unsaid"}); }

    Edit colour() {
        in.article();
        if (auto one = oneWall())
            return *one;
        for (const auto& [word, which] :
             {std::pair{"walls", &Dressing::walls}, std::pair{"floor", &Dressing::floor},
              std::pair{"ceiling", &Dressing::ceiling}})
            if (const bool rest =
                    which == &Dressing::walls && in.take({"other walls", "rest of the walls"});
                rest || in.take({word}) || (which == &Dressing::walls && in.take({"room"}))) {
                in.take({"is", "are", "in"});
                const bool walls = which == &Dressing::walls;
                if (isNone()) {
                    (now_.*which).reset();
                    if (walls)
                        now_.ownWalls.clear();
                    return planned(worded("no colour of the {}", word));
                }
                now_.*which = colourNamed("which colour?");
                // All of them: none is of another colour then.
                if (walls && !rest)
                    now_.ownWalls.clear();
                return planned(worded("the {} in {}", word, colourWord(*(now_.*which))));
            }
        for (const char* built : {"chimney breast", "chimney", "alcoves", "alcove", "skirting",
                                  "skirtings", "woodwork", "trim", "door", "doors"})
            if (in.endOf(built) > 0 && !in.nameAhead())
                in.failAhead(worded("no colour of its own is kept of the {}", built),
                             "say it of a wall, like: colour wall A sage");
        const auto ids = readSubjects(in, in.them().empty() ? 0 : in.them().front());
        in.take({"is", "are", "in"});
        const Rgb c = colourNamed("which colour?");
        in.nothingMore();
        Edit e;
        for (const int id : ids) {
            Piece p = *in.scheme().byId(id);
            ThingTold told;
            if (p.thing)
                told = *p.thing;
            told.colour = c;
            e.words += (e.words.empty() ? "" : ", ") + worded("{}: {}", p.name, colourWord(c));
            p.thing = std::make_shared<const ThingTold>(std::move(told));
            e.acts.emplace_back(PutPiece{std::move(p)});
        }
        return e;
    }

    /// "remotes box holds remote 7 x 2 x 1 and 4 coasters 4 x 4 x 1/2"
    std::optional<Edit> holds() {
        const std::size_t start = in.at();
        int id = 0;
        if (in.nameAhead()) {
            try {
                id = in.piece();
            } catch (const LineFault&) {
                in.goTo(start);
            }
        }
        if (id == 0) {
            const auto d = readDescribed(in);
            if (d && in.take({"is to hold", "has to hold", "must hold", "holds"}))
                in.fail(
                    start, in.at() - start, worded("there is no {} yet", d->name),
                    worded("put one somewhere first, like: {} in opening 1 of bookcase", d->name));
            in.goTo(start);
        }
        const Piece* box = id != 0 ? in.scheme().byId(id) : nullptr;
        if (box == nullptr || !box->isThing() ||
            !in.take({"is to hold", "has to hold", "must hold", "holds"})) {
            in.goTo(start);
            return {};
        }
        ThingTold told;
        if (box->thing)
            told = *box->thing;
        told.holds.clear();
        Edit e;
        if (in.take({"nothing"})) {
            e.words = worded("{} holds nothing", box->name);
        } else {
            do {
                HeldThing h;
                in.article();
                in.takeCount(h.count);
                const std::size_t name = in.at();
                while (!in.done() && !in.lengthAhead() && !in.ahead().empty())
                    in.word();
                h.name = std::string(trimmed(in.since(name)));
                const auto size = readBareSize(in);
                if (h.name.empty() || !size)
                    in.failAhead("how large is that?",
                                 "say it like: holds remote 7 x 2 x 1 and 4 coasters 4 x 4 x 1/2");
                h.size = *size;
                told.holds.push_back(std::move(h));
                if (told.holds.size() > mostHeld)
                    in.fail(name, 1, worded("a box is told of at most {} things", mostHeld),
                            "leave some out");
            } while (in.comma() || in.take({"and"}));
            in.nothingMore();
            const double used = filledBy(box->size, told.holds);
            e.words = used <= 1 ? worded("{} holds them: they take {:.0f} % of its height",
                                         box->name, used * 100)
                                : worded("{} doesn't hold them all", box->name);
        }
        Piece p = *box;
        p.thing = std::make_shared<const ThingTold>(std::move(told));
        e.acts.emplace_back(PutPiece{std::move(p)});
        return e;
    }

    WordsReader& in;
    const Project& job_;
    Dressing now_;
};

} // namespace

std::vector<VerbHelp> dressingVerbs() {
    return helpOf(DressingReader::verbs());
}

std::optional<Edit> readDressing(WordsReader& in) {
    return DressingReader(in).read();
}

} // namespace mezzet
