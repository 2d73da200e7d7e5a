// How a thing is described: how many, its colour and material, its kind, its sizes.
#include "edit/described.h"

#include "measure/text.h"
#include "measure/texts.h"

#include <algorithm>
#include <array>
#include <cmath>

namespace mezzet {

namespace {

/// What things are made of, and the colour it gives when no other is said; empty for none.
struct Stuff {
    std::string_view word;
    std::string_view is; ///< the material's name
    std::string_view colour;
};
constexpr auto stuffs = std::to_array<Stuff>({
    {"brass", "brass", "brass"},
    {"bronze", "bronze", "bronze"},
    {"copper", "copper", "copper"},
    {"silver", "silver", "silver"},
    {"gold", "gilt", "gold"},
    {"gilt", "gilt", "gold"},
    {"pewter", "pewter", "pewter"},
    {"iron", "iron", "black"},
    {"steel", "steel", "silver"},
    {"metal", "metal", ""},
    {"wooden", "wood", "brown"},
    {"wood", "wood", "brown"},
    {"oak", "oak", "oak"},
    {"walnut", "walnut", "walnut"},
    {"teak", "wood", "light brown"},
    {"bamboo", "bamboo", "natural"},
    {"wicker", "wicker", "wicker"},
    {"rattan", "wicker", "wicker"},
    {"straw", "straw", "straw"},
    {"glass", "glass", "clear"},
    {"crystal", "glass", "clear"},
    {"acrylic", "acrylic", "clear"},
    {"ceramic", "ceramic", ""},
    {"porcelain", "porcelain", "white"},
    {"china", "porcelain", "white"},
    {"stoneware", "ceramic", "stone"},
    {"clay", "clay", "terracotta"},
    {"terracotta", "clay", "terracotta"},
    {"plaster", "plaster", "white"},
    {"stone", "stone", "stone"},
    {"marble", "marble", "white"},
    {"concrete", "concrete", "grey"},
    {"leather", "leather", "cognac"},
    {"linen", "linen", "linen"},
    {"cloth", "cloth", ""},
    {"velvet", "velvet", ""},
    {"wool", "wool", ""},
    {"paper", "paper", ""},
    {"bone", "bone", "cream"},
    {"shell", "shell", "cream"},
});

constexpr std::pair<std::string_view, std::string_view> finishes[] = {
    {"matt", "matt"},         {"matte", "matt"},        {"unglazed", "matt"},
    {"polished", "polished"}, {"shiny", "polished"},    {"glossy", "polished"},
    {"glazed", "polished"},   {"lacquered", "polished"}};

/// The kind and the entry of the stock that words name, the longest first; how long they are.
struct Noun {
    KindPtr kind;
    const StockThing* stock = nullptr;
    std::size_t end = 0;
    bool plural = false;
};

/// The words from here, one after the other: where each ends.
std::vector<std::size_t> wordEnds(WordsReader& in, std::size_t most) {
    const std::size_t start = in.at();
    std::vector<std::size_t> out;
    while (out.size() < most && !in.done() && !in.ahead().empty() && !in.lengthAhead()) {
        in.word();
        const auto said = in.text().substr(0, in.at());
        std::size_t end = said.size();
        while (end > 0 && said[end - 1] == ' ')
            --end;
        out.push_back(end);
    }
    in.goTo(start);
    return out;
}

Noun nounHere(WordsReader& in) {
    constexpr std::size_t mostWords = 5;
    const std::size_t start = in.at();
    Noun best;
    const auto ends = wordEnds(in, mostWords);
    for (auto it = ends.rbegin(); it != ends.rend() && best.end == 0; ++it) {
        const auto said = in.text().substr(start, *it - start);
        const auto plain = plainWord(said);
        if (plain.empty())
            continue;
        if (in.job().stock)
            for (const StockThing& t : *in.job().stock)
                if (plainWord(t.name) == plain) {
                    best = {t.kind, &t, *it, foldCase(said).ends_with('s')};
                    break;
                }
        if (best.end == 0)
            if (const auto kind = in.job().library.kit->byWord(plain); kind && kind->thing)
                best = {kind, nullptr, *it,
                        foldCase(said).ends_with('s') && !foldCase(said).ends_with("ss")};
    }
    return best;
}

/// A material, past its word; null, and nothing read, for none.
const Stuff* takeStuff(WordsReader& in) {
    for (const Stuff& s : stuffs)
        if (in.take({s.word}))
            return &s;
    return nullptr;
}

/// "two", "a pair of", "a stack of 5", "12": how many, and how.
void howMany(WordsReader& in, Described& d) {
    const std::size_t start = in.at();
    in.article();
    const std::size_t stack = in.at();
    if (in.take({"stack of", "pile of"})) {
        int n = 0;
        d.form = Described::Form::stack;
        d.count = in.take({"a dozen", "dozen"}) ? 12 : in.takeCount(n) ? n : 3;
        // "a stack of books" is a kind of its own.
        if (n == 0 && in.endOf("books") > 0) {
            d = {};
            in.goTo(stack);
        }
        return;
    }
    if (in.take({"pair of", "couple of"})) {
        d.form = Described::Form::pair;
        d.count = 2;
        return;
    }
    if (in.take({"dozen"})) {
        d.form = Described::Form::several;
        d.count = 12;
        return;
    }
    in.take({"row of", "run of", "group of", "set of", "collection of"});
    int n = 0;
    if (in.ahead() != "1" && in.ahead() != "one" && in.takeCount(n) && n >= 1) {
        d.form = Described::Form::several;
        d.count = n;
        return;
    }
    if (in.take({"one", "1", "single"}))
        return;
    in.goTo(start);
    in.article();
}

} // namespace

std::string oneOf(std::string name, const Kind& kind) {
    const auto lower = foldCase(name);
    if (!lower.ends_with('s') || lower.ends_with("ss") || foldCase(kind.name).ends_with('s'))
        return name;
    const auto less = [&](std::size_t n) { return name.substr(0, name.size() - n); };
    if (lower.ends_with("ies"))
        return less(3) + "y";
    for (const std::string_view many : {"xes", "ches", "shes", "sses"})
        if (lower.ends_with(many))
            return less(2);
    return less(1);
}

std::string takeMaterial(WordsReader& in) {
    const Stuff* s = takeStuff(in);
    return s != nullptr ? std::string(s->is) : std::string();
}

std::string takeFinish(WordsReader& in) {
    for (const auto& [word, is] : finishes)
        if (in.take({word}))
            return std::string(is);
    return {};
}

std::optional<Rgb> takeColour(WordsReader& in) {
    const auto rest = foldCase(in.rest());
    const auto said = colourAhead(rest);
    if (said.bytes == 0)
        return {};
    in.goTo(in.at() + said.bytes);
    return said.colour;
}

std::optional<Described> readDescribed(WordsReader& in, bool anyWords) {
    const std::size_t start = in.at();
    Described d;
    howMany(in, d);
    const std::size_t words = in.at();
    Noun noun;
    std::string_view stuffColour;
    constexpr int mostAdjectives = 8;
    for (int i = 0; i < mostAdjectives; ++i) {
        noun = nounHere(in);
        if (noun.end > 0)
            break;
        bool took = true;
        if (const Stuff* stuff = takeStuff(in)) { // brass is of brass, and of its colour
            if (d.material.empty())
                d.material = stuff->is;
            if (stuffColour.empty())
                stuffColour = stuff->colour;
        } else if (const auto colour = takeColour(in)) {
            if (!d.colour)
                d.colour = colour;
        } else if (auto finish = takeFinish(in); !finish.empty()) {
            d.finish = std::move(finish);
        } else {
            took = false;
        }
        for (const auto& [word, is] :
             {std::pair{"lying", Lies::lying}, std::pair{"standing", Lies::standing},
              std::pair{"upright", Lies::standing}, std::pair{"leaning", Lies::leaning},
              std::pair{"leaned", Lies::leaning}})
            if (!took && in.endOf(word) > 0) {
                in.goTo(in.endOf(word));
                d.lies = is;
                took = true;
            }
        took = took || in.take({"and", "old", "plain", "cloth-bound"});
        if (!took && anyWords && !in.done() && !in.ahead().empty() && !in.lengthAhead()) {
            in.word();
            took = true;
        }
        if (!took)
            break;
    }
    if (noun.end == 0) {
        in.goTo(start);
        return {};
    }
    in.goTo(noun.end);
    d.kind = noun.kind;
    d.stock = noun.stock;
    d.name = std::string(trimmed(in.since(words)));
    if (!d.colour && !stuffColour.empty())
        d.colour = *readColour(stuffColour);
    // "books" alone are a few in a stack.
    if (d.form == Described::Form::one && noun.plural && d.kind->id == "book" && d.stock == nullptr)
        d.kind = in.job().library.kit->byId("books");
    if (in.lengthAhead())
        d.size = readThingSize(in, *d.kind, d.stock != nullptr ? d.stock->size : d.kind->size);
    return d;
}

std::optional<Size> readThingSize(WordsReader& in, const Kind& kind, const Size& usual) {
    const std::size_t start = in.at();
    if (!in.lengthAhead())
        return {};
    std::vector<Length> said;
    bool round = false;
    while (said.size() < 3 && in.lengthAhead()) {
        said.push_back(in.length("the size"));
        if (said.size() == 1 && in.take({"dia", "diameter", "across", "round"}))
            round = true;
        if (!in.take({"x", "by", "×"}))
            break;
    }
    // A figure that something else is said of: "2 from left end".
    if (said.size() == 1 && !round &&
        (in.endOf("from") > 0 || in.endOf("right") > 0 || in.endOf("left") > 0 ||
         in.endOf("forward") > 0 || in.endOf("back") > 0)) {
        in.goTo(start);
        return {};
    }
    for (const Length l : said)
        if (l <= Length{} || l > Length::metres(20))
            in.fail(start, in.at() - start, "no thing has such a size", "correct the figures");
    Size s = usual;
    const bool isBook = kind.thing && kind.thing->sort == ThingSort::book;
    const Length first = isBook ? usual.height : usual.width;
    const double by = first > Length{} ? said[0] / first : 1.0;
    if (isBook) {
        s.height = said[0];
        s.depth = said.size() > 1 ? said[1] : usual.depth * by;
        s.width = said.size() > 2 ? said[2] : usual.width;
    } else if (kind.thing && kind.thing->sort == ThingSort::flat) {
        s.width = said[0];
        s.height = said.size() > 1 ? said[1] : usual.height * by;
        s.depth = said.size() > 2 ? said[2] : usual.depth;
    } else if (round || (said.size() == 2 && kind.footprint.form == FootprintForm::oval &&
                         abs(kind.size.width - kind.size.depth) <= quiet)) {
        s.width = s.depth = said[0];
        s.height = said.size() > 1 ? said[1] : usual.height * by;
    } else {
        s.width = said[0];
        s.depth = said.size() > 1 ? said[1] : usual.depth * by;
        s.height = said.size() > 2 ? said[2] : said.size() == 1 ? usual.height * by : usual.height;
    }
    if (said.size() == 1)
        in.take({"high", "tall", "wide", "long"});
    return s;
}

std::optional<Size> readBareSize(WordsReader& in) {
    if (!in.lengthAhead())
        return {};
    const std::size_t start = in.at();
    std::vector<Length> said;
    while (said.size() < 3 && in.lengthAhead()) {
        said.push_back(in.length("the size"));
        if (!in.take({"x", "by", "×"}))
            break;
    }
    for (const Length l : said)
        if (l <= Length{} || l > Length::metres(20))
            in.fail(start, in.at() - start, "no thing has such a size", "correct the figures");
    return Size{said[0], said.size() > 1 ? said[1] : said[0],
                said.size() > 2 ? said[2] : Length::inches(0.5)};
}

} // namespace mezzet
